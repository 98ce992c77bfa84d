var __create = Object.create;
var __defProp = Object.defineProperty;
var __getOwnPropDesc = Object.getOwnPropertyDescriptor;
var __getOwnPropNames = Object.getOwnPropertyNames;
var __getProtoOf = Object.getPrototypeOf;
var __hasOwnProp = Object.prototype.hasOwnProperty;
var __commonJS = (cb, mod) => function __require() {
  try {
    return mod || (0, cb[__getOwnPropNames(cb)[0]])((mod = { exports: {} }).exports, mod), mod.exports;
  } catch (e) {
    throw mod = 0, e;
  }
};
var __copyProps = (to, from, except, desc) => {
  if (from && typeof from === "object" || typeof from === "function") {
    for (let key of __getOwnPropNames(from))
      if (!__hasOwnProp.call(to, key) && key !== except)
        __defProp(to, key, { get: () => from[key], enumerable: !(desc = __getOwnPropDesc(from, key)) || desc.enumerable });
  }
  return to;
};
var __toESM = (mod, isNodeMode, target) => (target = mod != null ? __create(__getProtoOf(mod)) : {}, __copyProps(
  // If the importer is in node compatibility mode or this is not an ESM
  // file that has been converted to a CommonJS file using a Babel-
  // compatible transform (i.e. "__esModule" has not been set), then set
  // "default" to the CommonJS "module.exports" for node compatibility.
  isNodeMode || !mod || !mod.__esModule ? __defProp(target, "default", { value: mod, enumerable: true }) : target,
  mod
));

// node_modules/clipper-lib/clipper.js
var require_clipper = __commonJS({
  "node_modules/clipper-lib/clipper.js"(exports, module) {
    (function() {
      "use strict";
      var ClipperLib2 = {};
      ClipperLib2.version = "6.4.2.2";
      ClipperLib2.use_lines = true;
      ClipperLib2.use_xyz = false;
      var isNode = false;
      if (typeof module !== "undefined" && module.exports) {
        module.exports = ClipperLib2;
        isNode = true;
      } else {
        if (typeof define === "function" && define.amd) {
          define(ClipperLib2);
        }
        if (typeof document !== "undefined") window.ClipperLib = ClipperLib2;
        else self["ClipperLib"] = ClipperLib2;
      }
      var navigator_appName;
      if (!isNode) {
        var nav = navigator.userAgent.toString().toLowerCase();
        navigator_appName = navigator.appName;
      } else {
        var nav = "chrome";
        navigator_appName = "Netscape";
      }
      var browser = {};
      if (nav.indexOf("chrome") != -1 && nav.indexOf("chromium") == -1) browser.chrome = 1;
      else browser.chrome = 0;
      if (nav.indexOf("chromium") != -1) browser.chromium = 1;
      else browser.chromium = 0;
      if (nav.indexOf("safari") != -1 && nav.indexOf("chrome") == -1 && nav.indexOf("chromium") == -1) browser.safari = 1;
      else browser.safari = 0;
      if (nav.indexOf("firefox") != -1) browser.firefox = 1;
      else browser.firefox = 0;
      if (nav.indexOf("firefox/17") != -1) browser.firefox17 = 1;
      else browser.firefox17 = 0;
      if (nav.indexOf("firefox/15") != -1) browser.firefox15 = 1;
      else browser.firefox15 = 0;
      if (nav.indexOf("firefox/3") != -1) browser.firefox3 = 1;
      else browser.firefox3 = 0;
      if (nav.indexOf("opera") != -1) browser.opera = 1;
      else browser.opera = 0;
      if (nav.indexOf("msie 10") != -1) browser.msie10 = 1;
      else browser.msie10 = 0;
      if (nav.indexOf("msie 9") != -1) browser.msie9 = 1;
      else browser.msie9 = 0;
      if (nav.indexOf("msie 8") != -1) browser.msie8 = 1;
      else browser.msie8 = 0;
      if (nav.indexOf("msie 7") != -1) browser.msie7 = 1;
      else browser.msie7 = 0;
      if (nav.indexOf("msie ") != -1) browser.msie = 1;
      else browser.msie = 0;
      ClipperLib2.biginteger_used = null;
      var dbits;
      var canary = 244837814094590;
      var j_lm = (canary & 16777215) == 15715070;
      function BigInteger(a, b, c) {
        ClipperLib2.biginteger_used = 1;
        if (a != null)
          if ("number" == typeof a && "undefined" == typeof b) this.fromInt(a);
          else if ("number" == typeof a) this.fromNumber(a, b, c);
          else if (b == null && "string" != typeof a) this.fromString(a, 256);
          else this.fromString(a, b);
      }
      function nbi() {
        return new BigInteger(null, void 0, void 0);
      }
      function am1(i, x, w, j, c, n) {
        while (--n >= 0) {
          var v = x * this[i++] + w[j] + c;
          c = Math.floor(v / 67108864);
          w[j++] = v & 67108863;
        }
        return c;
      }
      function am2(i, x, w, j, c, n) {
        var xl = x & 32767, xh = x >> 15;
        while (--n >= 0) {
          var l = this[i] & 32767;
          var h = this[i++] >> 15;
          var m = xh * l + h * xl;
          l = xl * l + ((m & 32767) << 15) + w[j] + (c & 1073741823);
          c = (l >>> 30) + (m >>> 15) + xh * h + (c >>> 30);
          w[j++] = l & 1073741823;
        }
        return c;
      }
      function am3(i, x, w, j, c, n) {
        var xl = x & 16383, xh = x >> 14;
        while (--n >= 0) {
          var l = this[i] & 16383;
          var h = this[i++] >> 14;
          var m = xh * l + h * xl;
          l = xl * l + ((m & 16383) << 14) + w[j] + c;
          c = (l >> 28) + (m >> 14) + xh * h;
          w[j++] = l & 268435455;
        }
        return c;
      }
      if (j_lm && navigator_appName == "Microsoft Internet Explorer") {
        BigInteger.prototype.am = am2;
        dbits = 30;
      } else if (j_lm && navigator_appName != "Netscape") {
        BigInteger.prototype.am = am1;
        dbits = 26;
      } else {
        BigInteger.prototype.am = am3;
        dbits = 28;
      }
      BigInteger.prototype.DB = dbits;
      BigInteger.prototype.DM = (1 << dbits) - 1;
      BigInteger.prototype.DV = 1 << dbits;
      var BI_FP = 52;
      BigInteger.prototype.FV = Math.pow(2, BI_FP);
      BigInteger.prototype.F1 = BI_FP - dbits;
      BigInteger.prototype.F2 = 2 * dbits - BI_FP;
      var BI_RM = "0123456789abcdefghijklmnopqrstuvwxyz";
      var BI_RC = new Array();
      var rr, vv;
      rr = "0".charCodeAt(0);
      for (vv = 0; vv <= 9; ++vv) BI_RC[rr++] = vv;
      rr = "a".charCodeAt(0);
      for (vv = 10; vv < 36; ++vv) BI_RC[rr++] = vv;
      rr = "A".charCodeAt(0);
      for (vv = 10; vv < 36; ++vv) BI_RC[rr++] = vv;
      function int2char(n) {
        return BI_RM.charAt(n);
      }
      function intAt(s, i) {
        var c = BI_RC[s.charCodeAt(i)];
        return c == null ? -1 : c;
      }
      function bnpCopyTo(r) {
        for (var i = this.t - 1; i >= 0; --i) r[i] = this[i];
        r.t = this.t;
        r.s = this.s;
      }
      function bnpFromInt(x) {
        this.t = 1;
        this.s = x < 0 ? -1 : 0;
        if (x > 0) this[0] = x;
        else if (x < -1) this[0] = x + this.DV;
        else this.t = 0;
      }
      function nbv(i) {
        var r = nbi();
        r.fromInt(i);
        return r;
      }
      function bnpFromString(s, b) {
        var k;
        if (b == 16) k = 4;
        else if (b == 8) k = 3;
        else if (b == 256) k = 8;
        else if (b == 2) k = 1;
        else if (b == 32) k = 5;
        else if (b == 4) k = 2;
        else {
          this.fromRadix(s, b);
          return;
        }
        this.t = 0;
        this.s = 0;
        var i = s.length, mi = false, sh = 0;
        while (--i >= 0) {
          var x = k == 8 ? s[i] & 255 : intAt(s, i);
          if (x < 0) {
            if (s.charAt(i) == "-") mi = true;
            continue;
          }
          mi = false;
          if (sh == 0)
            this[this.t++] = x;
          else if (sh + k > this.DB) {
            this[this.t - 1] |= (x & (1 << this.DB - sh) - 1) << sh;
            this[this.t++] = x >> this.DB - sh;
          } else
            this[this.t - 1] |= x << sh;
          sh += k;
          if (sh >= this.DB) sh -= this.DB;
        }
        if (k == 8 && (s[0] & 128) != 0) {
          this.s = -1;
          if (sh > 0) this[this.t - 1] |= (1 << this.DB - sh) - 1 << sh;
        }
        this.clamp();
        if (mi) BigInteger.ZERO.subTo(this, this);
      }
      function bnpClamp() {
        var c = this.s & this.DM;
        while (this.t > 0 && this[this.t - 1] == c) --this.t;
      }
      function bnToString(b) {
        if (this.s < 0) return "-" + this.negate().toString(b);
        var k;
        if (b == 16) k = 4;
        else if (b == 8) k = 3;
        else if (b == 2) k = 1;
        else if (b == 32) k = 5;
        else if (b == 4) k = 2;
        else return this.toRadix(b);
        var km = (1 << k) - 1, d, m = false, r = "", i = this.t;
        var p = this.DB - i * this.DB % k;
        if (i-- > 0) {
          if (p < this.DB && (d = this[i] >> p) > 0) {
            m = true;
            r = int2char(d);
          }
          while (i >= 0) {
            if (p < k) {
              d = (this[i] & (1 << p) - 1) << k - p;
              d |= this[--i] >> (p += this.DB - k);
            } else {
              d = this[i] >> (p -= k) & km;
              if (p <= 0) {
                p += this.DB;
                --i;
              }
            }
            if (d > 0) m = true;
            if (m) r += int2char(d);
          }
        }
        return m ? r : "0";
      }
      function bnNegate() {
        var r = nbi();
        BigInteger.ZERO.subTo(this, r);
        return r;
      }
      function bnAbs() {
        return this.s < 0 ? this.negate() : this;
      }
      function bnCompareTo(a) {
        var r = this.s - a.s;
        if (r != 0) return r;
        var i = this.t;
        r = i - a.t;
        if (r != 0) return this.s < 0 ? -r : r;
        while (--i >= 0)
          if ((r = this[i] - a[i]) != 0) return r;
        return 0;
      }
      function nbits(x) {
        var r = 1, t;
        if ((t = x >>> 16) != 0) {
          x = t;
          r += 16;
        }
        if ((t = x >> 8) != 0) {
          x = t;
          r += 8;
        }
        if ((t = x >> 4) != 0) {
          x = t;
          r += 4;
        }
        if ((t = x >> 2) != 0) {
          x = t;
          r += 2;
        }
        if ((t = x >> 1) != 0) {
          x = t;
          r += 1;
        }
        return r;
      }
      function bnBitLength() {
        if (this.t <= 0) return 0;
        return this.DB * (this.t - 1) + nbits(this[this.t - 1] ^ this.s & this.DM);
      }
      function bnpDLShiftTo(n, r) {
        var i;
        for (i = this.t - 1; i >= 0; --i) r[i + n] = this[i];
        for (i = n - 1; i >= 0; --i) r[i] = 0;
        r.t = this.t + n;
        r.s = this.s;
      }
      function bnpDRShiftTo(n, r) {
        for (var i = n; i < this.t; ++i) r[i - n] = this[i];
        r.t = Math.max(this.t - n, 0);
        r.s = this.s;
      }
      function bnpLShiftTo(n, r) {
        var bs = n % this.DB;
        var cbs = this.DB - bs;
        var bm = (1 << cbs) - 1;
        var ds = Math.floor(n / this.DB), c = this.s << bs & this.DM, i;
        for (i = this.t - 1; i >= 0; --i) {
          r[i + ds + 1] = this[i] >> cbs | c;
          c = (this[i] & bm) << bs;
        }
        for (i = ds - 1; i >= 0; --i) r[i] = 0;
        r[ds] = c;
        r.t = this.t + ds + 1;
        r.s = this.s;
        r.clamp();
      }
      function bnpRShiftTo(n, r) {
        r.s = this.s;
        var ds = Math.floor(n / this.DB);
        if (ds >= this.t) {
          r.t = 0;
          return;
        }
        var bs = n % this.DB;
        var cbs = this.DB - bs;
        var bm = (1 << bs) - 1;
        r[0] = this[ds] >> bs;
        for (var i = ds + 1; i < this.t; ++i) {
          r[i - ds - 1] |= (this[i] & bm) << cbs;
          r[i - ds] = this[i] >> bs;
        }
        if (bs > 0) r[this.t - ds - 1] |= (this.s & bm) << cbs;
        r.t = this.t - ds;
        r.clamp();
      }
      function bnpSubTo(a, r) {
        var i = 0, c = 0, m = Math.min(a.t, this.t);
        while (i < m) {
          c += this[i] - a[i];
          r[i++] = c & this.DM;
          c >>= this.DB;
        }
        if (a.t < this.t) {
          c -= a.s;
          while (i < this.t) {
            c += this[i];
            r[i++] = c & this.DM;
            c >>= this.DB;
          }
          c += this.s;
        } else {
          c += this.s;
          while (i < a.t) {
            c -= a[i];
            r[i++] = c & this.DM;
            c >>= this.DB;
          }
          c -= a.s;
        }
        r.s = c < 0 ? -1 : 0;
        if (c < -1) r[i++] = this.DV + c;
        else if (c > 0) r[i++] = c;
        r.t = i;
        r.clamp();
      }
      function bnpMultiplyTo(a, r) {
        var x = this.abs(), y = a.abs();
        var i = x.t;
        r.t = i + y.t;
        while (--i >= 0) r[i] = 0;
        for (i = 0; i < y.t; ++i) r[i + x.t] = x.am(0, y[i], r, i, 0, x.t);
        r.s = 0;
        r.clamp();
        if (this.s != a.s) BigInteger.ZERO.subTo(r, r);
      }
      function bnpSquareTo(r) {
        var x = this.abs();
        var i = r.t = 2 * x.t;
        while (--i >= 0) r[i] = 0;
        for (i = 0; i < x.t - 1; ++i) {
          var c = x.am(i, x[i], r, 2 * i, 0, 1);
          if ((r[i + x.t] += x.am(i + 1, 2 * x[i], r, 2 * i + 1, c, x.t - i - 1)) >= x.DV) {
            r[i + x.t] -= x.DV;
            r[i + x.t + 1] = 1;
          }
        }
        if (r.t > 0) r[r.t - 1] += x.am(i, x[i], r, 2 * i, 0, 1);
        r.s = 0;
        r.clamp();
      }
      function bnpDivRemTo(m, q, r) {
        var pm = m.abs();
        if (pm.t <= 0) return;
        var pt = this.abs();
        if (pt.t < pm.t) {
          if (q != null) q.fromInt(0);
          if (r != null) this.copyTo(r);
          return;
        }
        if (r == null) r = nbi();
        var y = nbi(), ts = this.s, ms = m.s;
        var nsh = this.DB - nbits(pm[pm.t - 1]);
        if (nsh > 0) {
          pm.lShiftTo(nsh, y);
          pt.lShiftTo(nsh, r);
        } else {
          pm.copyTo(y);
          pt.copyTo(r);
        }
        var ys = y.t;
        var y0 = y[ys - 1];
        if (y0 == 0) return;
        var yt = y0 * (1 << this.F1) + (ys > 1 ? y[ys - 2] >> this.F2 : 0);
        var d1 = this.FV / yt, d2 = (1 << this.F1) / yt, e = 1 << this.F2;
        var i = r.t, j = i - ys, t = q == null ? nbi() : q;
        y.dlShiftTo(j, t);
        if (r.compareTo(t) >= 0) {
          r[r.t++] = 1;
          r.subTo(t, r);
        }
        BigInteger.ONE.dlShiftTo(ys, t);
        t.subTo(y, y);
        while (y.t < ys) y[y.t++] = 0;
        while (--j >= 0) {
          var qd = r[--i] == y0 ? this.DM : Math.floor(r[i] * d1 + (r[i - 1] + e) * d2);
          if ((r[i] += y.am(0, qd, r, j, 0, ys)) < qd) {
            y.dlShiftTo(j, t);
            r.subTo(t, r);
            while (r[i] < --qd) r.subTo(t, r);
          }
        }
        if (q != null) {
          r.drShiftTo(ys, q);
          if (ts != ms) BigInteger.ZERO.subTo(q, q);
        }
        r.t = ys;
        r.clamp();
        if (nsh > 0) r.rShiftTo(nsh, r);
        if (ts < 0) BigInteger.ZERO.subTo(r, r);
      }
      function bnMod(a) {
        var r = nbi();
        this.abs().divRemTo(a, null, r);
        if (this.s < 0 && r.compareTo(BigInteger.ZERO) > 0) a.subTo(r, r);
        return r;
      }
      function Classic(m) {
        this.m = m;
      }
      function cConvert(x) {
        if (x.s < 0 || x.compareTo(this.m) >= 0) return x.mod(this.m);
        else return x;
      }
      function cRevert(x) {
        return x;
      }
      function cReduce(x) {
        x.divRemTo(this.m, null, x);
      }
      function cMulTo(x, y, r) {
        x.multiplyTo(y, r);
        this.reduce(r);
      }
      function cSqrTo(x, r) {
        x.squareTo(r);
        this.reduce(r);
      }
      Classic.prototype.convert = cConvert;
      Classic.prototype.revert = cRevert;
      Classic.prototype.reduce = cReduce;
      Classic.prototype.mulTo = cMulTo;
      Classic.prototype.sqrTo = cSqrTo;
      function bnpInvDigit() {
        if (this.t < 1) return 0;
        var x = this[0];
        if ((x & 1) == 0) return 0;
        var y = x & 3;
        y = y * (2 - (x & 15) * y) & 15;
        y = y * (2 - (x & 255) * y) & 255;
        y = y * (2 - ((x & 65535) * y & 65535)) & 65535;
        y = y * (2 - x * y % this.DV) % this.DV;
        return y > 0 ? this.DV - y : -y;
      }
      function Montgomery(m) {
        this.m = m;
        this.mp = m.invDigit();
        this.mpl = this.mp & 32767;
        this.mph = this.mp >> 15;
        this.um = (1 << m.DB - 15) - 1;
        this.mt2 = 2 * m.t;
      }
      function montConvert(x) {
        var r = nbi();
        x.abs().dlShiftTo(this.m.t, r);
        r.divRemTo(this.m, null, r);
        if (x.s < 0 && r.compareTo(BigInteger.ZERO) > 0) this.m.subTo(r, r);
        return r;
      }
      function montRevert(x) {
        var r = nbi();
        x.copyTo(r);
        this.reduce(r);
        return r;
      }
      function montReduce(x) {
        while (x.t <= this.mt2)
          x[x.t++] = 0;
        for (var i = 0; i < this.m.t; ++i) {
          var j = x[i] & 32767;
          var u0 = j * this.mpl + ((j * this.mph + (x[i] >> 15) * this.mpl & this.um) << 15) & x.DM;
          j = i + this.m.t;
          x[j] += this.m.am(0, u0, x, i, 0, this.m.t);
          while (x[j] >= x.DV) {
            x[j] -= x.DV;
            x[++j]++;
          }
        }
        x.clamp();
        x.drShiftTo(this.m.t, x);
        if (x.compareTo(this.m) >= 0) x.subTo(this.m, x);
      }
      function montSqrTo(x, r) {
        x.squareTo(r);
        this.reduce(r);
      }
      function montMulTo(x, y, r) {
        x.multiplyTo(y, r);
        this.reduce(r);
      }
      Montgomery.prototype.convert = montConvert;
      Montgomery.prototype.revert = montRevert;
      Montgomery.prototype.reduce = montReduce;
      Montgomery.prototype.mulTo = montMulTo;
      Montgomery.prototype.sqrTo = montSqrTo;
      function bnpIsEven() {
        return (this.t > 0 ? this[0] & 1 : this.s) == 0;
      }
      function bnpExp(e, z) {
        if (e > 4294967295 || e < 1) return BigInteger.ONE;
        var r = nbi(), r2 = nbi(), g = z.convert(this), i = nbits(e) - 1;
        g.copyTo(r);
        while (--i >= 0) {
          z.sqrTo(r, r2);
          if ((e & 1 << i) > 0) z.mulTo(r2, g, r);
          else {
            var t = r;
            r = r2;
            r2 = t;
          }
        }
        return z.revert(r);
      }
      function bnModPowInt(e, m) {
        var z;
        if (e < 256 || m.isEven()) z = new Classic(m);
        else z = new Montgomery(m);
        return this.exp(e, z);
      }
      BigInteger.prototype.copyTo = bnpCopyTo;
      BigInteger.prototype.fromInt = bnpFromInt;
      BigInteger.prototype.fromString = bnpFromString;
      BigInteger.prototype.clamp = bnpClamp;
      BigInteger.prototype.dlShiftTo = bnpDLShiftTo;
      BigInteger.prototype.drShiftTo = bnpDRShiftTo;
      BigInteger.prototype.lShiftTo = bnpLShiftTo;
      BigInteger.prototype.rShiftTo = bnpRShiftTo;
      BigInteger.prototype.subTo = bnpSubTo;
      BigInteger.prototype.multiplyTo = bnpMultiplyTo;
      BigInteger.prototype.squareTo = bnpSquareTo;
      BigInteger.prototype.divRemTo = bnpDivRemTo;
      BigInteger.prototype.invDigit = bnpInvDigit;
      BigInteger.prototype.isEven = bnpIsEven;
      BigInteger.prototype.exp = bnpExp;
      BigInteger.prototype.toString = bnToString;
      BigInteger.prototype.negate = bnNegate;
      BigInteger.prototype.abs = bnAbs;
      BigInteger.prototype.compareTo = bnCompareTo;
      BigInteger.prototype.bitLength = bnBitLength;
      BigInteger.prototype.mod = bnMod;
      BigInteger.prototype.modPowInt = bnModPowInt;
      BigInteger.ZERO = nbv(0);
      BigInteger.ONE = nbv(1);
      function bnClone() {
        var r = nbi();
        this.copyTo(r);
        return r;
      }
      function bnIntValue() {
        if (this.s < 0) {
          if (this.t == 1) return this[0] - this.DV;
          else if (this.t == 0) return -1;
        } else if (this.t == 1) return this[0];
        else if (this.t == 0) return 0;
        return (this[1] & (1 << 32 - this.DB) - 1) << this.DB | this[0];
      }
      function bnByteValue() {
        return this.t == 0 ? this.s : this[0] << 24 >> 24;
      }
      function bnShortValue() {
        return this.t == 0 ? this.s : this[0] << 16 >> 16;
      }
      function bnpChunkSize(r) {
        return Math.floor(Math.LN2 * this.DB / Math.log(r));
      }
      function bnSigNum() {
        if (this.s < 0) return -1;
        else if (this.t <= 0 || this.t == 1 && this[0] <= 0) return 0;
        else return 1;
      }
      function bnpToRadix(b) {
        if (b == null) b = 10;
        if (this.signum() == 0 || b < 2 || b > 36) return "0";
        var cs = this.chunkSize(b);
        var a = Math.pow(b, cs);
        var d = nbv(a), y = nbi(), z = nbi(), r = "";
        this.divRemTo(d, y, z);
        while (y.signum() > 0) {
          r = (a + z.intValue()).toString(b).substr(1) + r;
          y.divRemTo(d, y, z);
        }
        return z.intValue().toString(b) + r;
      }
      function bnpFromRadix(s, b) {
        this.fromInt(0);
        if (b == null) b = 10;
        var cs = this.chunkSize(b);
        var d = Math.pow(b, cs), mi = false, j = 0, w = 0;
        for (var i = 0; i < s.length; ++i) {
          var x = intAt(s, i);
          if (x < 0) {
            if (s.charAt(i) == "-" && this.signum() == 0) mi = true;
            continue;
          }
          w = b * w + x;
          if (++j >= cs) {
            this.dMultiply(d);
            this.dAddOffset(w, 0);
            j = 0;
            w = 0;
          }
        }
        if (j > 0) {
          this.dMultiply(Math.pow(b, j));
          this.dAddOffset(w, 0);
        }
        if (mi) BigInteger.ZERO.subTo(this, this);
      }
      function bnpFromNumber(a, b, c) {
        if ("number" == typeof b) {
          if (a < 2) this.fromInt(1);
          else {
            this.fromNumber(a, c);
            if (!this.testBit(a - 1))
              this.bitwiseTo(BigInteger.ONE.shiftLeft(a - 1), op_or, this);
            if (this.isEven()) this.dAddOffset(1, 0);
            while (!this.isProbablePrime(b)) {
              this.dAddOffset(2, 0);
              if (this.bitLength() > a) this.subTo(BigInteger.ONE.shiftLeft(a - 1), this);
            }
          }
        } else {
          var x = new Array(), t = a & 7;
          x.length = (a >> 3) + 1;
          b.nextBytes(x);
          if (t > 0) x[0] &= (1 << t) - 1;
          else x[0] = 0;
          this.fromString(x, 256);
        }
      }
      function bnToByteArray() {
        var i = this.t, r = new Array();
        r[0] = this.s;
        var p = this.DB - i * this.DB % 8, d, k = 0;
        if (i-- > 0) {
          if (p < this.DB && (d = this[i] >> p) != (this.s & this.DM) >> p)
            r[k++] = d | this.s << this.DB - p;
          while (i >= 0) {
            if (p < 8) {
              d = (this[i] & (1 << p) - 1) << 8 - p;
              d |= this[--i] >> (p += this.DB - 8);
            } else {
              d = this[i] >> (p -= 8) & 255;
              if (p <= 0) {
                p += this.DB;
                --i;
              }
            }
            if ((d & 128) != 0) d |= -256;
            if (k == 0 && (this.s & 128) != (d & 128)) ++k;
            if (k > 0 || d != this.s) r[k++] = d;
          }
        }
        return r;
      }
      function bnEquals(a) {
        return this.compareTo(a) == 0;
      }
      function bnMin(a) {
        return this.compareTo(a) < 0 ? this : a;
      }
      function bnMax(a) {
        return this.compareTo(a) > 0 ? this : a;
      }
      function bnpBitwiseTo(a, op, r) {
        var i, f, m = Math.min(a.t, this.t);
        for (i = 0; i < m; ++i) r[i] = op(this[i], a[i]);
        if (a.t < this.t) {
          f = a.s & this.DM;
          for (i = m; i < this.t; ++i) r[i] = op(this[i], f);
          r.t = this.t;
        } else {
          f = this.s & this.DM;
          for (i = m; i < a.t; ++i) r[i] = op(f, a[i]);
          r.t = a.t;
        }
        r.s = op(this.s, a.s);
        r.clamp();
      }
      function op_and(x, y) {
        return x & y;
      }
      function bnAnd(a) {
        var r = nbi();
        this.bitwiseTo(a, op_and, r);
        return r;
      }
      function op_or(x, y) {
        return x | y;
      }
      function bnOr(a) {
        var r = nbi();
        this.bitwiseTo(a, op_or, r);
        return r;
      }
      function op_xor(x, y) {
        return x ^ y;
      }
      function bnXor(a) {
        var r = nbi();
        this.bitwiseTo(a, op_xor, r);
        return r;
      }
      function op_andnot(x, y) {
        return x & ~y;
      }
      function bnAndNot(a) {
        var r = nbi();
        this.bitwiseTo(a, op_andnot, r);
        return r;
      }
      function bnNot() {
        var r = nbi();
        for (var i = 0; i < this.t; ++i) r[i] = this.DM & ~this[i];
        r.t = this.t;
        r.s = ~this.s;
        return r;
      }
      function bnShiftLeft(n) {
        var r = nbi();
        if (n < 0) this.rShiftTo(-n, r);
        else this.lShiftTo(n, r);
        return r;
      }
      function bnShiftRight(n) {
        var r = nbi();
        if (n < 0) this.lShiftTo(-n, r);
        else this.rShiftTo(n, r);
        return r;
      }
      function lbit(x) {
        if (x == 0) return -1;
        var r = 0;
        if ((x & 65535) == 0) {
          x >>= 16;
          r += 16;
        }
        if ((x & 255) == 0) {
          x >>= 8;
          r += 8;
        }
        if ((x & 15) == 0) {
          x >>= 4;
          r += 4;
        }
        if ((x & 3) == 0) {
          x >>= 2;
          r += 2;
        }
        if ((x & 1) == 0) ++r;
        return r;
      }
      function bnGetLowestSetBit() {
        for (var i = 0; i < this.t; ++i)
          if (this[i] != 0) return i * this.DB + lbit(this[i]);
        if (this.s < 0) return this.t * this.DB;
        return -1;
      }
      function cbit(x) {
        var r = 0;
        while (x != 0) {
          x &= x - 1;
          ++r;
        }
        return r;
      }
      function bnBitCount() {
        var r = 0, x = this.s & this.DM;
        for (var i = 0; i < this.t; ++i) r += cbit(this[i] ^ x);
        return r;
      }
      function bnTestBit(n) {
        var j = Math.floor(n / this.DB);
        if (j >= this.t) return this.s != 0;
        return (this[j] & 1 << n % this.DB) != 0;
      }
      function bnpChangeBit(n, op) {
        var r = BigInteger.ONE.shiftLeft(n);
        this.bitwiseTo(r, op, r);
        return r;
      }
      function bnSetBit(n) {
        return this.changeBit(n, op_or);
      }
      function bnClearBit(n) {
        return this.changeBit(n, op_andnot);
      }
      function bnFlipBit(n) {
        return this.changeBit(n, op_xor);
      }
      function bnpAddTo(a, r) {
        var i = 0, c = 0, m = Math.min(a.t, this.t);
        while (i < m) {
          c += this[i] + a[i];
          r[i++] = c & this.DM;
          c >>= this.DB;
        }
        if (a.t < this.t) {
          c += a.s;
          while (i < this.t) {
            c += this[i];
            r[i++] = c & this.DM;
            c >>= this.DB;
          }
          c += this.s;
        } else {
          c += this.s;
          while (i < a.t) {
            c += a[i];
            r[i++] = c & this.DM;
            c >>= this.DB;
          }
          c += a.s;
        }
        r.s = c < 0 ? -1 : 0;
        if (c > 0) r[i++] = c;
        else if (c < -1) r[i++] = this.DV + c;
        r.t = i;
        r.clamp();
      }
      function bnAdd(a) {
        var r = nbi();
        this.addTo(a, r);
        return r;
      }
      function bnSubtract(a) {
        var r = nbi();
        this.subTo(a, r);
        return r;
      }
      function bnMultiply(a) {
        var r = nbi();
        this.multiplyTo(a, r);
        return r;
      }
      function bnSquare() {
        var r = nbi();
        this.squareTo(r);
        return r;
      }
      function bnDivide(a) {
        var r = nbi();
        this.divRemTo(a, r, null);
        return r;
      }
      function bnRemainder(a) {
        var r = nbi();
        this.divRemTo(a, null, r);
        return r;
      }
      function bnDivideAndRemainder(a) {
        var q = nbi(), r = nbi();
        this.divRemTo(a, q, r);
        return new Array(q, r);
      }
      function bnpDMultiply(n) {
        this[this.t] = this.am(0, n - 1, this, 0, 0, this.t);
        ++this.t;
        this.clamp();
      }
      function bnpDAddOffset(n, w) {
        if (n == 0) return;
        while (this.t <= w) this[this.t++] = 0;
        this[w] += n;
        while (this[w] >= this.DV) {
          this[w] -= this.DV;
          if (++w >= this.t) this[this.t++] = 0;
          ++this[w];
        }
      }
      function NullExp() {
      }
      function nNop(x) {
        return x;
      }
      function nMulTo(x, y, r) {
        x.multiplyTo(y, r);
      }
      function nSqrTo(x, r) {
        x.squareTo(r);
      }
      NullExp.prototype.convert = nNop;
      NullExp.prototype.revert = nNop;
      NullExp.prototype.mulTo = nMulTo;
      NullExp.prototype.sqrTo = nSqrTo;
      function bnPow(e) {
        return this.exp(e, new NullExp());
      }
      function bnpMultiplyLowerTo(a, n, r) {
        var i = Math.min(this.t + a.t, n);
        r.s = 0;
        r.t = i;
        while (i > 0) r[--i] = 0;
        var j;
        for (j = r.t - this.t; i < j; ++i) r[i + this.t] = this.am(0, a[i], r, i, 0, this.t);
        for (j = Math.min(a.t, n); i < j; ++i) this.am(0, a[i], r, i, 0, n - i);
        r.clamp();
      }
      function bnpMultiplyUpperTo(a, n, r) {
        --n;
        var i = r.t = this.t + a.t - n;
        r.s = 0;
        while (--i >= 0) r[i] = 0;
        for (i = Math.max(n - this.t, 0); i < a.t; ++i)
          r[this.t + i - n] = this.am(n - i, a[i], r, 0, 0, this.t + i - n);
        r.clamp();
        r.drShiftTo(1, r);
      }
      function Barrett(m) {
        this.r2 = nbi();
        this.q3 = nbi();
        BigInteger.ONE.dlShiftTo(2 * m.t, this.r2);
        this.mu = this.r2.divide(m);
        this.m = m;
      }
      function barrettConvert(x) {
        if (x.s < 0 || x.t > 2 * this.m.t) return x.mod(this.m);
        else if (x.compareTo(this.m) < 0) return x;
        else {
          var r = nbi();
          x.copyTo(r);
          this.reduce(r);
          return r;
        }
      }
      function barrettRevert(x) {
        return x;
      }
      function barrettReduce(x) {
        x.drShiftTo(this.m.t - 1, this.r2);
        if (x.t > this.m.t + 1) {
          x.t = this.m.t + 1;
          x.clamp();
        }
        this.mu.multiplyUpperTo(this.r2, this.m.t + 1, this.q3);
        this.m.multiplyLowerTo(this.q3, this.m.t + 1, this.r2);
        while (x.compareTo(this.r2) < 0) x.dAddOffset(1, this.m.t + 1);
        x.subTo(this.r2, x);
        while (x.compareTo(this.m) >= 0) x.subTo(this.m, x);
      }
      function barrettSqrTo(x, r) {
        x.squareTo(r);
        this.reduce(r);
      }
      function barrettMulTo(x, y, r) {
        x.multiplyTo(y, r);
        this.reduce(r);
      }
      Barrett.prototype.convert = barrettConvert;
      Barrett.prototype.revert = barrettRevert;
      Barrett.prototype.reduce = barrettReduce;
      Barrett.prototype.mulTo = barrettMulTo;
      Barrett.prototype.sqrTo = barrettSqrTo;
      function bnModPow(e, m) {
        var i = e.bitLength(), k, r = nbv(1), z;
        if (i <= 0) return r;
        else if (i < 18) k = 1;
        else if (i < 48) k = 3;
        else if (i < 144) k = 4;
        else if (i < 768) k = 5;
        else k = 6;
        if (i < 8)
          z = new Classic(m);
        else if (m.isEven())
          z = new Barrett(m);
        else
          z = new Montgomery(m);
        var g = new Array(), n = 3, k1 = k - 1, km = (1 << k) - 1;
        g[1] = z.convert(this);
        if (k > 1) {
          var g2 = nbi();
          z.sqrTo(g[1], g2);
          while (n <= km) {
            g[n] = nbi();
            z.mulTo(g2, g[n - 2], g[n]);
            n += 2;
          }
        }
        var j = e.t - 1, w, is1 = true, r2 = nbi(), t;
        i = nbits(e[j]) - 1;
        while (j >= 0) {
          if (i >= k1) w = e[j] >> i - k1 & km;
          else {
            w = (e[j] & (1 << i + 1) - 1) << k1 - i;
            if (j > 0) w |= e[j - 1] >> this.DB + i - k1;
          }
          n = k;
          while ((w & 1) == 0) {
            w >>= 1;
            --n;
          }
          if ((i -= n) < 0) {
            i += this.DB;
            --j;
          }
          if (is1) {
            g[w].copyTo(r);
            is1 = false;
          } else {
            while (n > 1) {
              z.sqrTo(r, r2);
              z.sqrTo(r2, r);
              n -= 2;
            }
            if (n > 0) z.sqrTo(r, r2);
            else {
              t = r;
              r = r2;
              r2 = t;
            }
            z.mulTo(r2, g[w], r);
          }
          while (j >= 0 && (e[j] & 1 << i) == 0) {
            z.sqrTo(r, r2);
            t = r;
            r = r2;
            r2 = t;
            if (--i < 0) {
              i = this.DB - 1;
              --j;
            }
          }
        }
        return z.revert(r);
      }
      function bnGCD(a) {
        var x = this.s < 0 ? this.negate() : this.clone();
        var y = a.s < 0 ? a.negate() : a.clone();
        if (x.compareTo(y) < 0) {
          var t = x;
          x = y;
          y = t;
        }
        var i = x.getLowestSetBit(), g = y.getLowestSetBit();
        if (g < 0) return x;
        if (i < g) g = i;
        if (g > 0) {
          x.rShiftTo(g, x);
          y.rShiftTo(g, y);
        }
        while (x.signum() > 0) {
          if ((i = x.getLowestSetBit()) > 0) x.rShiftTo(i, x);
          if ((i = y.getLowestSetBit()) > 0) y.rShiftTo(i, y);
          if (x.compareTo(y) >= 0) {
            x.subTo(y, x);
            x.rShiftTo(1, x);
          } else {
            y.subTo(x, y);
            y.rShiftTo(1, y);
          }
        }
        if (g > 0) y.lShiftTo(g, y);
        return y;
      }
      function bnpModInt(n) {
        if (n <= 0) return 0;
        var d = this.DV % n, r = this.s < 0 ? n - 1 : 0;
        if (this.t > 0)
          if (d == 0) r = this[0] % n;
          else
            for (var i = this.t - 1; i >= 0; --i) r = (d * r + this[i]) % n;
        return r;
      }
      function bnModInverse(m) {
        var ac = m.isEven();
        if (this.isEven() && ac || m.signum() == 0) return BigInteger.ZERO;
        var u = m.clone(), v = this.clone();
        var a = nbv(1), b = nbv(0), c = nbv(0), d = nbv(1);
        while (u.signum() != 0) {
          while (u.isEven()) {
            u.rShiftTo(1, u);
            if (ac) {
              if (!a.isEven() || !b.isEven()) {
                a.addTo(this, a);
                b.subTo(m, b);
              }
              a.rShiftTo(1, a);
            } else if (!b.isEven()) b.subTo(m, b);
            b.rShiftTo(1, b);
          }
          while (v.isEven()) {
            v.rShiftTo(1, v);
            if (ac) {
              if (!c.isEven() || !d.isEven()) {
                c.addTo(this, c);
                d.subTo(m, d);
              }
              c.rShiftTo(1, c);
            } else if (!d.isEven()) d.subTo(m, d);
            d.rShiftTo(1, d);
          }
          if (u.compareTo(v) >= 0) {
            u.subTo(v, u);
            if (ac) a.subTo(c, a);
            b.subTo(d, b);
          } else {
            v.subTo(u, v);
            if (ac) c.subTo(a, c);
            d.subTo(b, d);
          }
        }
        if (v.compareTo(BigInteger.ONE) != 0) return BigInteger.ZERO;
        if (d.compareTo(m) >= 0) return d.subtract(m);
        if (d.signum() < 0) d.addTo(m, d);
        else return d;
        if (d.signum() < 0) return d.add(m);
        else return d;
      }
      var lowprimes = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53, 59, 61, 67, 71, 73, 79, 83, 89, 97, 101, 103, 107, 109, 113, 127, 131, 137, 139, 149, 151, 157, 163, 167, 173, 179, 181, 191, 193, 197, 199, 211, 223, 227, 229, 233, 239, 241, 251, 257, 263, 269, 271, 277, 281, 283, 293, 307, 311, 313, 317, 331, 337, 347, 349, 353, 359, 367, 373, 379, 383, 389, 397, 401, 409, 419, 421, 431, 433, 439, 443, 449, 457, 461, 463, 467, 479, 487, 491, 499, 503, 509, 521, 523, 541, 547, 557, 563, 569, 571, 577, 587, 593, 599, 601, 607, 613, 617, 619, 631, 641, 643, 647, 653, 659, 661, 673, 677, 683, 691, 701, 709, 719, 727, 733, 739, 743, 751, 757, 761, 769, 773, 787, 797, 809, 811, 821, 823, 827, 829, 839, 853, 857, 859, 863, 877, 881, 883, 887, 907, 911, 919, 929, 937, 941, 947, 953, 967, 971, 977, 983, 991, 997];
      var lplim = (1 << 26) / lowprimes[lowprimes.length - 1];
      function bnIsProbablePrime(t) {
        var i, x = this.abs();
        if (x.t == 1 && x[0] <= lowprimes[lowprimes.length - 1]) {
          for (i = 0; i < lowprimes.length; ++i)
            if (x[0] == lowprimes[i]) return true;
          return false;
        }
        if (x.isEven()) return false;
        i = 1;
        while (i < lowprimes.length) {
          var m = lowprimes[i], j = i + 1;
          while (j < lowprimes.length && m < lplim) m *= lowprimes[j++];
          m = x.modInt(m);
          while (i < j)
            if (m % lowprimes[i++] == 0) return false;
        }
        return x.millerRabin(t);
      }
      function bnpMillerRabin(t) {
        var n1 = this.subtract(BigInteger.ONE);
        var k = n1.getLowestSetBit();
        if (k <= 0) return false;
        var r = n1.shiftRight(k);
        t = t + 1 >> 1;
        if (t > lowprimes.length) t = lowprimes.length;
        var a = nbi();
        for (var i = 0; i < t; ++i) {
          a.fromInt(lowprimes[Math.floor(Math.random() * lowprimes.length)]);
          var y = a.modPow(r, this);
          if (y.compareTo(BigInteger.ONE) != 0 && y.compareTo(n1) != 0) {
            var j = 1;
            while (j++ < k && y.compareTo(n1) != 0) {
              y = y.modPowInt(2, this);
              if (y.compareTo(BigInteger.ONE) == 0) return false;
            }
            if (y.compareTo(n1) != 0) return false;
          }
        }
        return true;
      }
      BigInteger.prototype.chunkSize = bnpChunkSize;
      BigInteger.prototype.toRadix = bnpToRadix;
      BigInteger.prototype.fromRadix = bnpFromRadix;
      BigInteger.prototype.fromNumber = bnpFromNumber;
      BigInteger.prototype.bitwiseTo = bnpBitwiseTo;
      BigInteger.prototype.changeBit = bnpChangeBit;
      BigInteger.prototype.addTo = bnpAddTo;
      BigInteger.prototype.dMultiply = bnpDMultiply;
      BigInteger.prototype.dAddOffset = bnpDAddOffset;
      BigInteger.prototype.multiplyLowerTo = bnpMultiplyLowerTo;
      BigInteger.prototype.multiplyUpperTo = bnpMultiplyUpperTo;
      BigInteger.prototype.modInt = bnpModInt;
      BigInteger.prototype.millerRabin = bnpMillerRabin;
      BigInteger.prototype.clone = bnClone;
      BigInteger.prototype.intValue = bnIntValue;
      BigInteger.prototype.byteValue = bnByteValue;
      BigInteger.prototype.shortValue = bnShortValue;
      BigInteger.prototype.signum = bnSigNum;
      BigInteger.prototype.toByteArray = bnToByteArray;
      BigInteger.prototype.equals = bnEquals;
      BigInteger.prototype.min = bnMin;
      BigInteger.prototype.max = bnMax;
      BigInteger.prototype.and = bnAnd;
      BigInteger.prototype.or = bnOr;
      BigInteger.prototype.xor = bnXor;
      BigInteger.prototype.andNot = bnAndNot;
      BigInteger.prototype.not = bnNot;
      BigInteger.prototype.shiftLeft = bnShiftLeft;
      BigInteger.prototype.shiftRight = bnShiftRight;
      BigInteger.prototype.getLowestSetBit = bnGetLowestSetBit;
      BigInteger.prototype.bitCount = bnBitCount;
      BigInteger.prototype.testBit = bnTestBit;
      BigInteger.prototype.setBit = bnSetBit;
      BigInteger.prototype.clearBit = bnClearBit;
      BigInteger.prototype.flipBit = bnFlipBit;
      BigInteger.prototype.add = bnAdd;
      BigInteger.prototype.subtract = bnSubtract;
      BigInteger.prototype.multiply = bnMultiply;
      BigInteger.prototype.divide = bnDivide;
      BigInteger.prototype.remainder = bnRemainder;
      BigInteger.prototype.divideAndRemainder = bnDivideAndRemainder;
      BigInteger.prototype.modPow = bnModPow;
      BigInteger.prototype.modInverse = bnModInverse;
      BigInteger.prototype.pow = bnPow;
      BigInteger.prototype.gcd = bnGCD;
      BigInteger.prototype.isProbablePrime = bnIsProbablePrime;
      BigInteger.prototype.square = bnSquare;
      var Int128 = BigInteger;
      Int128.prototype.IsNegative = function() {
        if (this.compareTo(Int128.ZERO) == -1) return true;
        else return false;
      };
      Int128.op_Equality = function(val1, val2) {
        if (val1.compareTo(val2) == 0) return true;
        else return false;
      };
      Int128.op_Inequality = function(val1, val2) {
        if (val1.compareTo(val2) != 0) return true;
        else return false;
      };
      Int128.op_GreaterThan = function(val1, val2) {
        if (val1.compareTo(val2) > 0) return true;
        else return false;
      };
      Int128.op_LessThan = function(val1, val2) {
        if (val1.compareTo(val2) < 0) return true;
        else return false;
      };
      Int128.op_Addition = function(lhs, rhs) {
        return new Int128(lhs, void 0, void 0).add(new Int128(rhs, void 0, void 0));
      };
      Int128.op_Subtraction = function(lhs, rhs) {
        return new Int128(lhs, void 0, void 0).subtract(new Int128(rhs, void 0, void 0));
      };
      Int128.Int128Mul = function(lhs, rhs) {
        return new Int128(lhs, void 0, void 0).multiply(new Int128(rhs, void 0, void 0));
      };
      Int128.op_Division = function(lhs, rhs) {
        return lhs.divide(rhs);
      };
      Int128.prototype.ToDouble = function() {
        return parseFloat(this.toString());
      };
      var Inherit = function(ce, ce2) {
        var p;
        if (typeof Object.getOwnPropertyNames === "undefined") {
          for (p in ce2.prototype)
            if (typeof ce.prototype[p] === "undefined" || ce.prototype[p] === Object.prototype[p]) ce.prototype[p] = ce2.prototype[p];
          for (p in ce2)
            if (typeof ce[p] === "undefined") ce[p] = ce2[p];
          ce.$baseCtor = ce2;
        } else {
          var props = Object.getOwnPropertyNames(ce2.prototype);
          for (var i = 0; i < props.length; i++)
            if (typeof Object.getOwnPropertyDescriptor(ce.prototype, props[i]) === "undefined") Object.defineProperty(ce.prototype, props[i], Object.getOwnPropertyDescriptor(ce2.prototype, props[i]));
          for (p in ce2)
            if (typeof ce[p] === "undefined") ce[p] = ce2[p];
          ce.$baseCtor = ce2;
        }
      };
      ClipperLib2.Path = function() {
        return [];
      };
      ClipperLib2.Path.prototype.push = Array.prototype.push;
      ClipperLib2.Paths = function() {
        return [];
      };
      ClipperLib2.Paths.prototype.push = Array.prototype.push;
      ClipperLib2.DoublePoint = function() {
        var a = arguments;
        this.X = 0;
        this.Y = 0;
        if (a.length === 1) {
          this.X = a[0].X;
          this.Y = a[0].Y;
        } else if (a.length === 2) {
          this.X = a[0];
          this.Y = a[1];
        }
      };
      ClipperLib2.DoublePoint0 = function() {
        this.X = 0;
        this.Y = 0;
      };
      ClipperLib2.DoublePoint0.prototype = ClipperLib2.DoublePoint.prototype;
      ClipperLib2.DoublePoint1 = function(dp) {
        this.X = dp.X;
        this.Y = dp.Y;
      };
      ClipperLib2.DoublePoint1.prototype = ClipperLib2.DoublePoint.prototype;
      ClipperLib2.DoublePoint2 = function(x, y) {
        this.X = x;
        this.Y = y;
      };
      ClipperLib2.DoublePoint2.prototype = ClipperLib2.DoublePoint.prototype;
      ClipperLib2.PolyNode = function() {
        this.m_Parent = null;
        this.m_polygon = new ClipperLib2.Path();
        this.m_Index = 0;
        this.m_jointype = 0;
        this.m_endtype = 0;
        this.m_Childs = [];
        this.IsOpen = false;
      };
      ClipperLib2.PolyNode.prototype.IsHoleNode = function() {
        var result = true;
        var node = this.m_Parent;
        while (node !== null) {
          result = !result;
          node = node.m_Parent;
        }
        return result;
      };
      ClipperLib2.PolyNode.prototype.ChildCount = function() {
        return this.m_Childs.length;
      };
      ClipperLib2.PolyNode.prototype.Contour = function() {
        return this.m_polygon;
      };
      ClipperLib2.PolyNode.prototype.AddChild = function(Child) {
        var cnt = this.m_Childs.length;
        this.m_Childs.push(Child);
        Child.m_Parent = this;
        Child.m_Index = cnt;
      };
      ClipperLib2.PolyNode.prototype.GetNext = function() {
        if (this.m_Childs.length > 0)
          return this.m_Childs[0];
        else
          return this.GetNextSiblingUp();
      };
      ClipperLib2.PolyNode.prototype.GetNextSiblingUp = function() {
        if (this.m_Parent === null)
          return null;
        else if (this.m_Index === this.m_Parent.m_Childs.length - 1)
          return this.m_Parent.GetNextSiblingUp();
        else
          return this.m_Parent.m_Childs[this.m_Index + 1];
      };
      ClipperLib2.PolyNode.prototype.Childs = function() {
        return this.m_Childs;
      };
      ClipperLib2.PolyNode.prototype.Parent = function() {
        return this.m_Parent;
      };
      ClipperLib2.PolyNode.prototype.IsHole = function() {
        return this.IsHoleNode();
      };
      ClipperLib2.PolyTree = function() {
        this.m_AllPolys = [];
        ClipperLib2.PolyNode.call(this);
      };
      ClipperLib2.PolyTree.prototype.Clear = function() {
        for (var i = 0, ilen = this.m_AllPolys.length; i < ilen; i++)
          this.m_AllPolys[i] = null;
        this.m_AllPolys.length = 0;
        this.m_Childs.length = 0;
      };
      ClipperLib2.PolyTree.prototype.GetFirst = function() {
        if (this.m_Childs.length > 0)
          return this.m_Childs[0];
        else
          return null;
      };
      ClipperLib2.PolyTree.prototype.Total = function() {
        var result = this.m_AllPolys.length;
        if (result > 0 && this.m_Childs[0] !== this.m_AllPolys[0]) result--;
        return result;
      };
      Inherit(ClipperLib2.PolyTree, ClipperLib2.PolyNode);
      ClipperLib2.Math_Abs_Int64 = ClipperLib2.Math_Abs_Int32 = ClipperLib2.Math_Abs_Double = function(a) {
        return Math.abs(a);
      };
      ClipperLib2.Math_Max_Int32_Int32 = function(a, b) {
        return Math.max(a, b);
      };
      if (browser.msie || browser.opera || browser.safari) ClipperLib2.Cast_Int32 = function(a) {
        return a | 0;
      };
      else ClipperLib2.Cast_Int32 = function(a) {
        return ~~a;
      };
      if (typeof Number.toInteger === "undefined")
        Number.toInteger = null;
      if (browser.chrome) ClipperLib2.Cast_Int64 = function(a) {
        if (a < -2147483648 || a > 2147483647)
          return a < 0 ? Math.ceil(a) : Math.floor(a);
        else return ~~a;
      };
      else if (browser.firefox && typeof Number.toInteger === "function") ClipperLib2.Cast_Int64 = function(a) {
        return Number.toInteger(a);
      };
      else if (browser.msie7 || browser.msie8) ClipperLib2.Cast_Int64 = function(a) {
        return parseInt(a, 10);
      };
      else if (browser.msie) ClipperLib2.Cast_Int64 = function(a) {
        if (a < -2147483648 || a > 2147483647)
          return a < 0 ? Math.ceil(a) : Math.floor(a);
        return a | 0;
      };
      else ClipperLib2.Cast_Int64 = function(a) {
        return a < 0 ? Math.ceil(a) : Math.floor(a);
      };
      ClipperLib2.Clear = function(a) {
        a.length = 0;
      };
      ClipperLib2.PI = 3.141592653589793;
      ClipperLib2.PI2 = 2 * 3.141592653589793;
      ClipperLib2.IntPoint = function() {
        var a = arguments, alen = a.length;
        this.X = 0;
        this.Y = 0;
        if (ClipperLib2.use_xyz) {
          this.Z = 0;
          if (alen === 3) {
            this.X = a[0];
            this.Y = a[1];
            this.Z = a[2];
          } else if (alen === 2) {
            this.X = a[0];
            this.Y = a[1];
            this.Z = 0;
          } else if (alen === 1) {
            if (a[0] instanceof ClipperLib2.DoublePoint) {
              var dp = a[0];
              this.X = ClipperLib2.Clipper.Round(dp.X);
              this.Y = ClipperLib2.Clipper.Round(dp.Y);
              this.Z = 0;
            } else {
              var pt = a[0];
              if (typeof pt.Z === "undefined") pt.Z = 0;
              this.X = pt.X;
              this.Y = pt.Y;
              this.Z = pt.Z;
            }
          } else {
            this.X = 0;
            this.Y = 0;
            this.Z = 0;
          }
        } else {
          if (alen === 2) {
            this.X = a[0];
            this.Y = a[1];
          } else if (alen === 1) {
            if (a[0] instanceof ClipperLib2.DoublePoint) {
              var dp = a[0];
              this.X = ClipperLib2.Clipper.Round(dp.X);
              this.Y = ClipperLib2.Clipper.Round(dp.Y);
            } else {
              var pt = a[0];
              this.X = pt.X;
              this.Y = pt.Y;
            }
          } else {
            this.X = 0;
            this.Y = 0;
          }
        }
      };
      ClipperLib2.IntPoint.op_Equality = function(a, b) {
        return a.X === b.X && a.Y === b.Y;
      };
      ClipperLib2.IntPoint.op_Inequality = function(a, b) {
        return a.X !== b.X || a.Y !== b.Y;
      };
      ClipperLib2.IntPoint0 = function() {
        this.X = 0;
        this.Y = 0;
        if (ClipperLib2.use_xyz)
          this.Z = 0;
      };
      ClipperLib2.IntPoint0.prototype = ClipperLib2.IntPoint.prototype;
      ClipperLib2.IntPoint1 = function(pt) {
        this.X = pt.X;
        this.Y = pt.Y;
        if (ClipperLib2.use_xyz) {
          if (typeof pt.Z === "undefined") this.Z = 0;
          else this.Z = pt.Z;
        }
      };
      ClipperLib2.IntPoint1.prototype = ClipperLib2.IntPoint.prototype;
      ClipperLib2.IntPoint1dp = function(dp) {
        this.X = ClipperLib2.Clipper.Round(dp.X);
        this.Y = ClipperLib2.Clipper.Round(dp.Y);
        if (ClipperLib2.use_xyz)
          this.Z = 0;
      };
      ClipperLib2.IntPoint1dp.prototype = ClipperLib2.IntPoint.prototype;
      ClipperLib2.IntPoint2 = function(x, y, z) {
        this.X = x;
        this.Y = y;
        if (ClipperLib2.use_xyz) {
          if (typeof z === "undefined") this.Z = 0;
          else this.Z = z;
        }
      };
      ClipperLib2.IntPoint2.prototype = ClipperLib2.IntPoint.prototype;
      ClipperLib2.IntRect = function() {
        var a = arguments, alen = a.length;
        if (alen === 4) {
          this.left = a[0];
          this.top = a[1];
          this.right = a[2];
          this.bottom = a[3];
        } else if (alen === 1) {
          var ir = a[0];
          this.left = ir.left;
          this.top = ir.top;
          this.right = ir.right;
          this.bottom = ir.bottom;
        } else {
          this.left = 0;
          this.top = 0;
          this.right = 0;
          this.bottom = 0;
        }
      };
      ClipperLib2.IntRect0 = function() {
        this.left = 0;
        this.top = 0;
        this.right = 0;
        this.bottom = 0;
      };
      ClipperLib2.IntRect0.prototype = ClipperLib2.IntRect.prototype;
      ClipperLib2.IntRect1 = function(ir) {
        this.left = ir.left;
        this.top = ir.top;
        this.right = ir.right;
        this.bottom = ir.bottom;
      };
      ClipperLib2.IntRect1.prototype = ClipperLib2.IntRect.prototype;
      ClipperLib2.IntRect4 = function(l, t, r, b) {
        this.left = l;
        this.top = t;
        this.right = r;
        this.bottom = b;
      };
      ClipperLib2.IntRect4.prototype = ClipperLib2.IntRect.prototype;
      ClipperLib2.ClipType = {
        ctIntersection: 0,
        ctUnion: 1,
        ctDifference: 2,
        ctXor: 3
      };
      ClipperLib2.PolyType = {
        ptSubject: 0,
        ptClip: 1
      };
      ClipperLib2.PolyFillType = {
        pftEvenOdd: 0,
        pftNonZero: 1,
        pftPositive: 2,
        pftNegative: 3
      };
      ClipperLib2.JoinType = {
        jtSquare: 0,
        jtRound: 1,
        jtMiter: 2
      };
      ClipperLib2.EndType = {
        etOpenSquare: 0,
        etOpenRound: 1,
        etOpenButt: 2,
        etClosedLine: 3,
        etClosedPolygon: 4
      };
      ClipperLib2.EdgeSide = {
        esLeft: 0,
        esRight: 1
      };
      ClipperLib2.Direction = {
        dRightToLeft: 0,
        dLeftToRight: 1
      };
      ClipperLib2.TEdge = function() {
        this.Bot = new ClipperLib2.IntPoint0();
        this.Curr = new ClipperLib2.IntPoint0();
        this.Top = new ClipperLib2.IntPoint0();
        this.Delta = new ClipperLib2.IntPoint0();
        this.Dx = 0;
        this.PolyTyp = ClipperLib2.PolyType.ptSubject;
        this.Side = ClipperLib2.EdgeSide.esLeft;
        this.WindDelta = 0;
        this.WindCnt = 0;
        this.WindCnt2 = 0;
        this.OutIdx = 0;
        this.Next = null;
        this.Prev = null;
        this.NextInLML = null;
        this.NextInAEL = null;
        this.PrevInAEL = null;
        this.NextInSEL = null;
        this.PrevInSEL = null;
      };
      ClipperLib2.IntersectNode = function() {
        this.Edge1 = null;
        this.Edge2 = null;
        this.Pt = new ClipperLib2.IntPoint0();
      };
      ClipperLib2.MyIntersectNodeSort = function() {
      };
      ClipperLib2.MyIntersectNodeSort.Compare = function(node1, node2) {
        var i = node2.Pt.Y - node1.Pt.Y;
        if (i > 0) return 1;
        else if (i < 0) return -1;
        else return 0;
      };
      ClipperLib2.LocalMinima = function() {
        this.Y = 0;
        this.LeftBound = null;
        this.RightBound = null;
        this.Next = null;
      };
      ClipperLib2.Scanbeam = function() {
        this.Y = 0;
        this.Next = null;
      };
      ClipperLib2.Maxima = function() {
        this.X = 0;
        this.Next = null;
        this.Prev = null;
      };
      ClipperLib2.OutRec = function() {
        this.Idx = 0;
        this.IsHole = false;
        this.IsOpen = false;
        this.FirstLeft = null;
        this.Pts = null;
        this.BottomPt = null;
        this.PolyNode = null;
      };
      ClipperLib2.OutPt = function() {
        this.Idx = 0;
        this.Pt = new ClipperLib2.IntPoint0();
        this.Next = null;
        this.Prev = null;
      };
      ClipperLib2.Join = function() {
        this.OutPt1 = null;
        this.OutPt2 = null;
        this.OffPt = new ClipperLib2.IntPoint0();
      };
      ClipperLib2.ClipperBase = function() {
        this.m_MinimaList = null;
        this.m_CurrentLM = null;
        this.m_edges = new Array();
        this.m_UseFullRange = false;
        this.m_HasOpenPaths = false;
        this.PreserveCollinear = false;
        this.m_Scanbeam = null;
        this.m_PolyOuts = null;
        this.m_ActiveEdges = null;
      };
      ClipperLib2.ClipperBase.horizontal = -9007199254740992;
      ClipperLib2.ClipperBase.Skip = -2;
      ClipperLib2.ClipperBase.Unassigned = -1;
      ClipperLib2.ClipperBase.tolerance = 1e-20;
      ClipperLib2.ClipperBase.loRange = 47453132;
      ClipperLib2.ClipperBase.hiRange = 4503599627370495;
      ClipperLib2.ClipperBase.near_zero = function(val) {
        return val > -ClipperLib2.ClipperBase.tolerance && val < ClipperLib2.ClipperBase.tolerance;
      };
      ClipperLib2.ClipperBase.IsHorizontal = function(e) {
        return e.Delta.Y === 0;
      };
      ClipperLib2.ClipperBase.prototype.PointIsVertex = function(pt, pp) {
        var pp2 = pp;
        do {
          if (ClipperLib2.IntPoint.op_Equality(pp2.Pt, pt))
            return true;
          pp2 = pp2.Next;
        } while (pp2 !== pp);
        return false;
      };
      ClipperLib2.ClipperBase.prototype.PointOnLineSegment = function(pt, linePt1, linePt2, UseFullRange) {
        if (UseFullRange)
          return pt.X === linePt1.X && pt.Y === linePt1.Y || pt.X === linePt2.X && pt.Y === linePt2.Y || pt.X > linePt1.X === pt.X < linePt2.X && pt.Y > linePt1.Y === pt.Y < linePt2.Y && Int128.op_Equality(
            Int128.Int128Mul(pt.X - linePt1.X, linePt2.Y - linePt1.Y),
            Int128.Int128Mul(linePt2.X - linePt1.X, pt.Y - linePt1.Y)
          );
        else
          return pt.X === linePt1.X && pt.Y === linePt1.Y || pt.X === linePt2.X && pt.Y === linePt2.Y || pt.X > linePt1.X === pt.X < linePt2.X && pt.Y > linePt1.Y === pt.Y < linePt2.Y && (pt.X - linePt1.X) * (linePt2.Y - linePt1.Y) === (linePt2.X - linePt1.X) * (pt.Y - linePt1.Y);
      };
      ClipperLib2.ClipperBase.prototype.PointOnPolygon = function(pt, pp, UseFullRange) {
        var pp2 = pp;
        while (true) {
          if (this.PointOnLineSegment(pt, pp2.Pt, pp2.Next.Pt, UseFullRange))
            return true;
          pp2 = pp2.Next;
          if (pp2 === pp)
            break;
        }
        return false;
      };
      ClipperLib2.ClipperBase.prototype.SlopesEqual = ClipperLib2.ClipperBase.SlopesEqual = function() {
        var a = arguments, alen = a.length;
        var e1, e2, pt1, pt2, pt3, pt4, UseFullRange;
        if (alen === 3) {
          e1 = a[0];
          e2 = a[1];
          UseFullRange = a[2];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(e1.Delta.Y, e2.Delta.X), Int128.Int128Mul(e1.Delta.X, e2.Delta.Y));
          else
            return ClipperLib2.Cast_Int64(e1.Delta.Y * e2.Delta.X) === ClipperLib2.Cast_Int64(e1.Delta.X * e2.Delta.Y);
        } else if (alen === 4) {
          pt1 = a[0];
          pt2 = a[1];
          pt3 = a[2];
          UseFullRange = a[3];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt2.X - pt3.X), Int128.Int128Mul(pt1.X - pt2.X, pt2.Y - pt3.Y));
          else
            return ClipperLib2.Cast_Int64((pt1.Y - pt2.Y) * (pt2.X - pt3.X)) - ClipperLib2.Cast_Int64((pt1.X - pt2.X) * (pt2.Y - pt3.Y)) === 0;
        } else {
          pt1 = a[0];
          pt2 = a[1];
          pt3 = a[2];
          pt4 = a[3];
          UseFullRange = a[4];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt3.X - pt4.X), Int128.Int128Mul(pt1.X - pt2.X, pt3.Y - pt4.Y));
          else
            return ClipperLib2.Cast_Int64((pt1.Y - pt2.Y) * (pt3.X - pt4.X)) - ClipperLib2.Cast_Int64((pt1.X - pt2.X) * (pt3.Y - pt4.Y)) === 0;
        }
      };
      ClipperLib2.ClipperBase.SlopesEqual3 = function(e1, e2, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(e1.Delta.Y, e2.Delta.X), Int128.Int128Mul(e1.Delta.X, e2.Delta.Y));
        else
          return ClipperLib2.Cast_Int64(e1.Delta.Y * e2.Delta.X) === ClipperLib2.Cast_Int64(e1.Delta.X * e2.Delta.Y);
      };
      ClipperLib2.ClipperBase.SlopesEqual4 = function(pt1, pt2, pt3, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt2.X - pt3.X), Int128.Int128Mul(pt1.X - pt2.X, pt2.Y - pt3.Y));
        else
          return ClipperLib2.Cast_Int64((pt1.Y - pt2.Y) * (pt2.X - pt3.X)) - ClipperLib2.Cast_Int64((pt1.X - pt2.X) * (pt2.Y - pt3.Y)) === 0;
      };
      ClipperLib2.ClipperBase.SlopesEqual5 = function(pt1, pt2, pt3, pt4, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt3.X - pt4.X), Int128.Int128Mul(pt1.X - pt2.X, pt3.Y - pt4.Y));
        else
          return ClipperLib2.Cast_Int64((pt1.Y - pt2.Y) * (pt3.X - pt4.X)) - ClipperLib2.Cast_Int64((pt1.X - pt2.X) * (pt3.Y - pt4.Y)) === 0;
      };
      ClipperLib2.ClipperBase.prototype.Clear = function() {
        this.DisposeLocalMinimaList();
        for (var i = 0, ilen = this.m_edges.length; i < ilen; ++i) {
          for (var j = 0, jlen = this.m_edges[i].length; j < jlen; ++j)
            this.m_edges[i][j] = null;
          ClipperLib2.Clear(this.m_edges[i]);
        }
        ClipperLib2.Clear(this.m_edges);
        this.m_UseFullRange = false;
        this.m_HasOpenPaths = false;
      };
      ClipperLib2.ClipperBase.prototype.DisposeLocalMinimaList = function() {
        while (this.m_MinimaList !== null) {
          var tmpLm = this.m_MinimaList.Next;
          this.m_MinimaList = null;
          this.m_MinimaList = tmpLm;
        }
        this.m_CurrentLM = null;
      };
      ClipperLib2.ClipperBase.prototype.RangeTest = function(Pt, useFullRange) {
        if (useFullRange.Value) {
          if (Pt.X > ClipperLib2.ClipperBase.hiRange || Pt.Y > ClipperLib2.ClipperBase.hiRange || -Pt.X > ClipperLib2.ClipperBase.hiRange || -Pt.Y > ClipperLib2.ClipperBase.hiRange)
            ClipperLib2.Error("Coordinate outside allowed range in RangeTest().");
        } else if (Pt.X > ClipperLib2.ClipperBase.loRange || Pt.Y > ClipperLib2.ClipperBase.loRange || -Pt.X > ClipperLib2.ClipperBase.loRange || -Pt.Y > ClipperLib2.ClipperBase.loRange) {
          useFullRange.Value = true;
          this.RangeTest(Pt, useFullRange);
        }
      };
      ClipperLib2.ClipperBase.prototype.InitEdge = function(e, eNext, ePrev, pt) {
        e.Next = eNext;
        e.Prev = ePrev;
        e.Curr.X = pt.X;
        e.Curr.Y = pt.Y;
        if (ClipperLib2.use_xyz) e.Curr.Z = pt.Z;
        e.OutIdx = -1;
      };
      ClipperLib2.ClipperBase.prototype.InitEdge2 = function(e, polyType) {
        if (e.Curr.Y >= e.Next.Curr.Y) {
          e.Bot.X = e.Curr.X;
          e.Bot.Y = e.Curr.Y;
          if (ClipperLib2.use_xyz) e.Bot.Z = e.Curr.Z;
          e.Top.X = e.Next.Curr.X;
          e.Top.Y = e.Next.Curr.Y;
          if (ClipperLib2.use_xyz) e.Top.Z = e.Next.Curr.Z;
        } else {
          e.Top.X = e.Curr.X;
          e.Top.Y = e.Curr.Y;
          if (ClipperLib2.use_xyz) e.Top.Z = e.Curr.Z;
          e.Bot.X = e.Next.Curr.X;
          e.Bot.Y = e.Next.Curr.Y;
          if (ClipperLib2.use_xyz) e.Bot.Z = e.Next.Curr.Z;
        }
        this.SetDx(e);
        e.PolyTyp = polyType;
      };
      ClipperLib2.ClipperBase.prototype.FindNextLocMin = function(E) {
        var E2;
        for (; ; ) {
          while (ClipperLib2.IntPoint.op_Inequality(E.Bot, E.Prev.Bot) || ClipperLib2.IntPoint.op_Equality(E.Curr, E.Top))
            E = E.Next;
          if (E.Dx !== ClipperLib2.ClipperBase.horizontal && E.Prev.Dx !== ClipperLib2.ClipperBase.horizontal)
            break;
          while (E.Prev.Dx === ClipperLib2.ClipperBase.horizontal)
            E = E.Prev;
          E2 = E;
          while (E.Dx === ClipperLib2.ClipperBase.horizontal)
            E = E.Next;
          if (E.Top.Y === E.Prev.Bot.Y)
            continue;
          if (E2.Prev.Bot.X < E.Bot.X)
            E = E2;
          break;
        }
        return E;
      };
      ClipperLib2.ClipperBase.prototype.ProcessBound = function(E, LeftBoundIsForward) {
        var EStart;
        var Result = E;
        var Horz;
        if (Result.OutIdx === ClipperLib2.ClipperBase.Skip) {
          E = Result;
          if (LeftBoundIsForward) {
            while (E.Top.Y === E.Next.Bot.Y) E = E.Next;
            while (E !== Result && E.Dx === ClipperLib2.ClipperBase.horizontal) E = E.Prev;
          } else {
            while (E.Top.Y === E.Prev.Bot.Y) E = E.Prev;
            while (E !== Result && E.Dx === ClipperLib2.ClipperBase.horizontal) E = E.Next;
          }
          if (E === Result) {
            if (LeftBoundIsForward) Result = E.Next;
            else Result = E.Prev;
          } else {
            if (LeftBoundIsForward)
              E = Result.Next;
            else
              E = Result.Prev;
            var locMin = new ClipperLib2.LocalMinima();
            locMin.Next = null;
            locMin.Y = E.Bot.Y;
            locMin.LeftBound = null;
            locMin.RightBound = E;
            E.WindDelta = 0;
            Result = this.ProcessBound(E, LeftBoundIsForward);
            this.InsertLocalMinima(locMin);
          }
          return Result;
        }
        if (E.Dx === ClipperLib2.ClipperBase.horizontal) {
          if (LeftBoundIsForward) EStart = E.Prev;
          else EStart = E.Next;
          if (EStart.Dx === ClipperLib2.ClipperBase.horizontal) {
            if (EStart.Bot.X !== E.Bot.X && EStart.Top.X !== E.Bot.X)
              this.ReverseHorizontal(E);
          } else if (EStart.Bot.X !== E.Bot.X)
            this.ReverseHorizontal(E);
        }
        EStart = E;
        if (LeftBoundIsForward) {
          while (Result.Top.Y === Result.Next.Bot.Y && Result.Next.OutIdx !== ClipperLib2.ClipperBase.Skip)
            Result = Result.Next;
          if (Result.Dx === ClipperLib2.ClipperBase.horizontal && Result.Next.OutIdx !== ClipperLib2.ClipperBase.Skip) {
            Horz = Result;
            while (Horz.Prev.Dx === ClipperLib2.ClipperBase.horizontal)
              Horz = Horz.Prev;
            if (Horz.Prev.Top.X > Result.Next.Top.X)
              Result = Horz.Prev;
          }
          while (E !== Result) {
            E.NextInLML = E.Next;
            if (E.Dx === ClipperLib2.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Prev.Top.X)
              this.ReverseHorizontal(E);
            E = E.Next;
          }
          if (E.Dx === ClipperLib2.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Prev.Top.X)
            this.ReverseHorizontal(E);
          Result = Result.Next;
        } else {
          while (Result.Top.Y === Result.Prev.Bot.Y && Result.Prev.OutIdx !== ClipperLib2.ClipperBase.Skip)
            Result = Result.Prev;
          if (Result.Dx === ClipperLib2.ClipperBase.horizontal && Result.Prev.OutIdx !== ClipperLib2.ClipperBase.Skip) {
            Horz = Result;
            while (Horz.Next.Dx === ClipperLib2.ClipperBase.horizontal)
              Horz = Horz.Next;
            if (Horz.Next.Top.X === Result.Prev.Top.X || Horz.Next.Top.X > Result.Prev.Top.X) {
              Result = Horz.Next;
            }
          }
          while (E !== Result) {
            E.NextInLML = E.Prev;
            if (E.Dx === ClipperLib2.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Next.Top.X)
              this.ReverseHorizontal(E);
            E = E.Prev;
          }
          if (E.Dx === ClipperLib2.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Next.Top.X)
            this.ReverseHorizontal(E);
          Result = Result.Prev;
        }
        return Result;
      };
      ClipperLib2.ClipperBase.prototype.AddPath = function(pg, polyType, Closed) {
        if (ClipperLib2.use_lines) {
          if (!Closed && polyType === ClipperLib2.PolyType.ptClip)
            ClipperLib2.Error("AddPath: Open paths must be subject.");
        } else {
          if (!Closed)
            ClipperLib2.Error("AddPath: Open paths have been disabled.");
        }
        var highI = pg.length - 1;
        if (Closed)
          while (highI > 0 && ClipperLib2.IntPoint.op_Equality(pg[highI], pg[0]))
            --highI;
        while (highI > 0 && ClipperLib2.IntPoint.op_Equality(pg[highI], pg[highI - 1]))
          --highI;
        if (Closed && highI < 2 || !Closed && highI < 1)
          return false;
        var edges = new Array();
        for (var i = 0; i <= highI; i++)
          edges.push(new ClipperLib2.TEdge());
        var IsFlat = true;
        edges[1].Curr.X = pg[1].X;
        edges[1].Curr.Y = pg[1].Y;
        if (ClipperLib2.use_xyz) edges[1].Curr.Z = pg[1].Z;
        var $1 = {
          Value: this.m_UseFullRange
        };
        this.RangeTest(pg[0], $1);
        this.m_UseFullRange = $1.Value;
        $1.Value = this.m_UseFullRange;
        this.RangeTest(pg[highI], $1);
        this.m_UseFullRange = $1.Value;
        this.InitEdge(edges[0], edges[1], edges[highI], pg[0]);
        this.InitEdge(edges[highI], edges[0], edges[highI - 1], pg[highI]);
        for (var i = highI - 1; i >= 1; --i) {
          $1.Value = this.m_UseFullRange;
          this.RangeTest(pg[i], $1);
          this.m_UseFullRange = $1.Value;
          this.InitEdge(edges[i], edges[i + 1], edges[i - 1], pg[i]);
        }
        var eStart = edges[0];
        var E = eStart, eLoopStop = eStart;
        for (; ; ) {
          if (E.Curr === E.Next.Curr && (Closed || E.Next !== eStart)) {
            if (E === E.Next)
              break;
            if (E === eStart)
              eStart = E.Next;
            E = this.RemoveEdge(E);
            eLoopStop = E;
            continue;
          }
          if (E.Prev === E.Next)
            break;
          else if (Closed && ClipperLib2.ClipperBase.SlopesEqual4(E.Prev.Curr, E.Curr, E.Next.Curr, this.m_UseFullRange) && (!this.PreserveCollinear || !this.Pt2IsBetweenPt1AndPt3(E.Prev.Curr, E.Curr, E.Next.Curr))) {
            if (E === eStart)
              eStart = E.Next;
            E = this.RemoveEdge(E);
            E = E.Prev;
            eLoopStop = E;
            continue;
          }
          E = E.Next;
          if (E === eLoopStop || !Closed && E.Next === eStart) break;
        }
        if (!Closed && E === E.Next || Closed && E.Prev === E.Next)
          return false;
        if (!Closed) {
          this.m_HasOpenPaths = true;
          eStart.Prev.OutIdx = ClipperLib2.ClipperBase.Skip;
        }
        E = eStart;
        do {
          this.InitEdge2(E, polyType);
          E = E.Next;
          if (IsFlat && E.Curr.Y !== eStart.Curr.Y)
            IsFlat = false;
        } while (E !== eStart);
        if (IsFlat) {
          if (Closed)
            return false;
          E.Prev.OutIdx = ClipperLib2.ClipperBase.Skip;
          var locMin = new ClipperLib2.LocalMinima();
          locMin.Next = null;
          locMin.Y = E.Bot.Y;
          locMin.LeftBound = null;
          locMin.RightBound = E;
          locMin.RightBound.Side = ClipperLib2.EdgeSide.esRight;
          locMin.RightBound.WindDelta = 0;
          for (; ; ) {
            if (E.Bot.X !== E.Prev.Top.X) this.ReverseHorizontal(E);
            if (E.Next.OutIdx === ClipperLib2.ClipperBase.Skip) break;
            E.NextInLML = E.Next;
            E = E.Next;
          }
          this.InsertLocalMinima(locMin);
          this.m_edges.push(edges);
          return true;
        }
        this.m_edges.push(edges);
        var leftBoundIsForward;
        var EMin = null;
        if (ClipperLib2.IntPoint.op_Equality(E.Prev.Bot, E.Prev.Top))
          E = E.Next;
        for (; ; ) {
          E = this.FindNextLocMin(E);
          if (E === EMin)
            break;
          else if (EMin === null)
            EMin = E;
          var locMin = new ClipperLib2.LocalMinima();
          locMin.Next = null;
          locMin.Y = E.Bot.Y;
          if (E.Dx < E.Prev.Dx) {
            locMin.LeftBound = E.Prev;
            locMin.RightBound = E;
            leftBoundIsForward = false;
          } else {
            locMin.LeftBound = E;
            locMin.RightBound = E.Prev;
            leftBoundIsForward = true;
          }
          locMin.LeftBound.Side = ClipperLib2.EdgeSide.esLeft;
          locMin.RightBound.Side = ClipperLib2.EdgeSide.esRight;
          if (!Closed)
            locMin.LeftBound.WindDelta = 0;
          else if (locMin.LeftBound.Next === locMin.RightBound)
            locMin.LeftBound.WindDelta = -1;
          else
            locMin.LeftBound.WindDelta = 1;
          locMin.RightBound.WindDelta = -locMin.LeftBound.WindDelta;
          E = this.ProcessBound(locMin.LeftBound, leftBoundIsForward);
          if (E.OutIdx === ClipperLib2.ClipperBase.Skip)
            E = this.ProcessBound(E, leftBoundIsForward);
          var E2 = this.ProcessBound(locMin.RightBound, !leftBoundIsForward);
          if (E2.OutIdx === ClipperLib2.ClipperBase.Skip) E2 = this.ProcessBound(E2, !leftBoundIsForward);
          if (locMin.LeftBound.OutIdx === ClipperLib2.ClipperBase.Skip)
            locMin.LeftBound = null;
          else if (locMin.RightBound.OutIdx === ClipperLib2.ClipperBase.Skip)
            locMin.RightBound = null;
          this.InsertLocalMinima(locMin);
          if (!leftBoundIsForward)
            E = E2;
        }
        return true;
      };
      ClipperLib2.ClipperBase.prototype.AddPaths = function(ppg, polyType, closed) {
        var result = false;
        for (var i = 0, ilen = ppg.length; i < ilen; ++i)
          if (this.AddPath(ppg[i], polyType, closed))
            result = true;
        return result;
      };
      ClipperLib2.ClipperBase.prototype.Pt2IsBetweenPt1AndPt3 = function(pt1, pt2, pt3) {
        if (ClipperLib2.IntPoint.op_Equality(pt1, pt3) || ClipperLib2.IntPoint.op_Equality(pt1, pt2) || ClipperLib2.IntPoint.op_Equality(pt3, pt2))
          return false;
        else if (pt1.X !== pt3.X)
          return pt2.X > pt1.X === pt2.X < pt3.X;
        else
          return pt2.Y > pt1.Y === pt2.Y < pt3.Y;
      };
      ClipperLib2.ClipperBase.prototype.RemoveEdge = function(e) {
        e.Prev.Next = e.Next;
        e.Next.Prev = e.Prev;
        var result = e.Next;
        e.Prev = null;
        return result;
      };
      ClipperLib2.ClipperBase.prototype.SetDx = function(e) {
        e.Delta.X = e.Top.X - e.Bot.X;
        e.Delta.Y = e.Top.Y - e.Bot.Y;
        if (e.Delta.Y === 0) e.Dx = ClipperLib2.ClipperBase.horizontal;
        else e.Dx = e.Delta.X / e.Delta.Y;
      };
      ClipperLib2.ClipperBase.prototype.InsertLocalMinima = function(newLm) {
        if (this.m_MinimaList === null) {
          this.m_MinimaList = newLm;
        } else if (newLm.Y >= this.m_MinimaList.Y) {
          newLm.Next = this.m_MinimaList;
          this.m_MinimaList = newLm;
        } else {
          var tmpLm = this.m_MinimaList;
          while (tmpLm.Next !== null && newLm.Y < tmpLm.Next.Y)
            tmpLm = tmpLm.Next;
          newLm.Next = tmpLm.Next;
          tmpLm.Next = newLm;
        }
      };
      ClipperLib2.ClipperBase.prototype.PopLocalMinima = function(Y, current) {
        current.v = this.m_CurrentLM;
        if (this.m_CurrentLM !== null && this.m_CurrentLM.Y === Y) {
          this.m_CurrentLM = this.m_CurrentLM.Next;
          return true;
        }
        return false;
      };
      ClipperLib2.ClipperBase.prototype.ReverseHorizontal = function(e) {
        var tmp = e.Top.X;
        e.Top.X = e.Bot.X;
        e.Bot.X = tmp;
        if (ClipperLib2.use_xyz) {
          tmp = e.Top.Z;
          e.Top.Z = e.Bot.Z;
          e.Bot.Z = tmp;
        }
      };
      ClipperLib2.ClipperBase.prototype.Reset = function() {
        this.m_CurrentLM = this.m_MinimaList;
        if (this.m_CurrentLM === null)
          return;
        this.m_Scanbeam = null;
        var lm = this.m_MinimaList;
        while (lm !== null) {
          this.InsertScanbeam(lm.Y);
          var e = lm.LeftBound;
          if (e !== null) {
            e.Curr.X = e.Bot.X;
            e.Curr.Y = e.Bot.Y;
            if (ClipperLib2.use_xyz) e.Curr.Z = e.Bot.Z;
            e.OutIdx = ClipperLib2.ClipperBase.Unassigned;
          }
          e = lm.RightBound;
          if (e !== null) {
            e.Curr.X = e.Bot.X;
            e.Curr.Y = e.Bot.Y;
            if (ClipperLib2.use_xyz) e.Curr.Z = e.Bot.Z;
            e.OutIdx = ClipperLib2.ClipperBase.Unassigned;
          }
          lm = lm.Next;
        }
        this.m_ActiveEdges = null;
      };
      ClipperLib2.ClipperBase.prototype.InsertScanbeam = function(Y) {
        if (this.m_Scanbeam === null) {
          this.m_Scanbeam = new ClipperLib2.Scanbeam();
          this.m_Scanbeam.Next = null;
          this.m_Scanbeam.Y = Y;
        } else if (Y > this.m_Scanbeam.Y) {
          var newSb = new ClipperLib2.Scanbeam();
          newSb.Y = Y;
          newSb.Next = this.m_Scanbeam;
          this.m_Scanbeam = newSb;
        } else {
          var sb2 = this.m_Scanbeam;
          while (sb2.Next !== null && Y <= sb2.Next.Y) {
            sb2 = sb2.Next;
          }
          if (Y === sb2.Y) {
            return;
          }
          var newSb1 = new ClipperLib2.Scanbeam();
          newSb1.Y = Y;
          newSb1.Next = sb2.Next;
          sb2.Next = newSb1;
        }
      };
      ClipperLib2.ClipperBase.prototype.PopScanbeam = function(Y) {
        if (this.m_Scanbeam === null) {
          Y.v = 0;
          return false;
        }
        Y.v = this.m_Scanbeam.Y;
        this.m_Scanbeam = this.m_Scanbeam.Next;
        return true;
      };
      ClipperLib2.ClipperBase.prototype.LocalMinimaPending = function() {
        return this.m_CurrentLM !== null;
      };
      ClipperLib2.ClipperBase.prototype.CreateOutRec = function() {
        var result = new ClipperLib2.OutRec();
        result.Idx = ClipperLib2.ClipperBase.Unassigned;
        result.IsHole = false;
        result.IsOpen = false;
        result.FirstLeft = null;
        result.Pts = null;
        result.BottomPt = null;
        result.PolyNode = null;
        this.m_PolyOuts.push(result);
        result.Idx = this.m_PolyOuts.length - 1;
        return result;
      };
      ClipperLib2.ClipperBase.prototype.DisposeOutRec = function(index) {
        var outRec = this.m_PolyOuts[index];
        outRec.Pts = null;
        outRec = null;
        this.m_PolyOuts[index] = null;
      };
      ClipperLib2.ClipperBase.prototype.UpdateEdgeIntoAEL = function(e) {
        if (e.NextInLML === null) {
          ClipperLib2.Error("UpdateEdgeIntoAEL: invalid call");
        }
        var AelPrev = e.PrevInAEL;
        var AelNext = e.NextInAEL;
        e.NextInLML.OutIdx = e.OutIdx;
        if (AelPrev !== null) {
          AelPrev.NextInAEL = e.NextInLML;
        } else {
          this.m_ActiveEdges = e.NextInLML;
        }
        if (AelNext !== null) {
          AelNext.PrevInAEL = e.NextInLML;
        }
        e.NextInLML.Side = e.Side;
        e.NextInLML.WindDelta = e.WindDelta;
        e.NextInLML.WindCnt = e.WindCnt;
        e.NextInLML.WindCnt2 = e.WindCnt2;
        e = e.NextInLML;
        e.Curr.X = e.Bot.X;
        e.Curr.Y = e.Bot.Y;
        e.PrevInAEL = AelPrev;
        e.NextInAEL = AelNext;
        if (!ClipperLib2.ClipperBase.IsHorizontal(e)) {
          this.InsertScanbeam(e.Top.Y);
        }
        return e;
      };
      ClipperLib2.ClipperBase.prototype.SwapPositionsInAEL = function(edge1, edge2) {
        if (edge1.NextInAEL === edge1.PrevInAEL || edge2.NextInAEL === edge2.PrevInAEL) {
          return;
        }
        if (edge1.NextInAEL === edge2) {
          var next = edge2.NextInAEL;
          if (next !== null) {
            next.PrevInAEL = edge1;
          }
          var prev = edge1.PrevInAEL;
          if (prev !== null) {
            prev.NextInAEL = edge2;
          }
          edge2.PrevInAEL = prev;
          edge2.NextInAEL = edge1;
          edge1.PrevInAEL = edge2;
          edge1.NextInAEL = next;
        } else if (edge2.NextInAEL === edge1) {
          var next1 = edge1.NextInAEL;
          if (next1 !== null) {
            next1.PrevInAEL = edge2;
          }
          var prev1 = edge2.PrevInAEL;
          if (prev1 !== null) {
            prev1.NextInAEL = edge1;
          }
          edge1.PrevInAEL = prev1;
          edge1.NextInAEL = edge2;
          edge2.PrevInAEL = edge1;
          edge2.NextInAEL = next1;
        } else {
          var next2 = edge1.NextInAEL;
          var prev2 = edge1.PrevInAEL;
          edge1.NextInAEL = edge2.NextInAEL;
          if (edge1.NextInAEL !== null) {
            edge1.NextInAEL.PrevInAEL = edge1;
          }
          edge1.PrevInAEL = edge2.PrevInAEL;
          if (edge1.PrevInAEL !== null) {
            edge1.PrevInAEL.NextInAEL = edge1;
          }
          edge2.NextInAEL = next2;
          if (edge2.NextInAEL !== null) {
            edge2.NextInAEL.PrevInAEL = edge2;
          }
          edge2.PrevInAEL = prev2;
          if (edge2.PrevInAEL !== null) {
            edge2.PrevInAEL.NextInAEL = edge2;
          }
        }
        if (edge1.PrevInAEL === null) {
          this.m_ActiveEdges = edge1;
        } else {
          if (edge2.PrevInAEL === null) {
            this.m_ActiveEdges = edge2;
          }
        }
      };
      ClipperLib2.ClipperBase.prototype.DeleteFromAEL = function(e) {
        var AelPrev = e.PrevInAEL;
        var AelNext = e.NextInAEL;
        if (AelPrev === null && AelNext === null && e !== this.m_ActiveEdges) {
          return;
        }
        if (AelPrev !== null) {
          AelPrev.NextInAEL = AelNext;
        } else {
          this.m_ActiveEdges = AelNext;
        }
        if (AelNext !== null) {
          AelNext.PrevInAEL = AelPrev;
        }
        e.NextInAEL = null;
        e.PrevInAEL = null;
      };
      ClipperLib2.Clipper = function(InitOptions) {
        if (typeof InitOptions === "undefined") InitOptions = 0;
        this.m_PolyOuts = null;
        this.m_ClipType = ClipperLib2.ClipType.ctIntersection;
        this.m_Scanbeam = null;
        this.m_Maxima = null;
        this.m_ActiveEdges = null;
        this.m_SortedEdges = null;
        this.m_IntersectList = null;
        this.m_IntersectNodeComparer = null;
        this.m_ExecuteLocked = false;
        this.m_ClipFillType = ClipperLib2.PolyFillType.pftEvenOdd;
        this.m_SubjFillType = ClipperLib2.PolyFillType.pftEvenOdd;
        this.m_Joins = null;
        this.m_GhostJoins = null;
        this.m_UsingPolyTree = false;
        this.ReverseSolution = false;
        this.StrictlySimple = false;
        ClipperLib2.ClipperBase.call(this);
        this.m_Scanbeam = null;
        this.m_Maxima = null;
        this.m_ActiveEdges = null;
        this.m_SortedEdges = null;
        this.m_IntersectList = new Array();
        this.m_IntersectNodeComparer = ClipperLib2.MyIntersectNodeSort.Compare;
        this.m_ExecuteLocked = false;
        this.m_UsingPolyTree = false;
        this.m_PolyOuts = new Array();
        this.m_Joins = new Array();
        this.m_GhostJoins = new Array();
        this.ReverseSolution = (1 & InitOptions) !== 0;
        this.StrictlySimple = (2 & InitOptions) !== 0;
        this.PreserveCollinear = (4 & InitOptions) !== 0;
        if (ClipperLib2.use_xyz) {
          this.ZFillFunction = null;
        }
      };
      ClipperLib2.Clipper.ioReverseSolution = 1;
      ClipperLib2.Clipper.ioStrictlySimple = 2;
      ClipperLib2.Clipper.ioPreserveCollinear = 4;
      ClipperLib2.Clipper.prototype.Clear = function() {
        if (this.m_edges.length === 0)
          return;
        this.DisposeAllPolyPts();
        ClipperLib2.ClipperBase.prototype.Clear.call(this);
      };
      ClipperLib2.Clipper.prototype.InsertMaxima = function(X) {
        var newMax = new ClipperLib2.Maxima();
        newMax.X = X;
        if (this.m_Maxima === null) {
          this.m_Maxima = newMax;
          this.m_Maxima.Next = null;
          this.m_Maxima.Prev = null;
        } else if (X < this.m_Maxima.X) {
          newMax.Next = this.m_Maxima;
          newMax.Prev = null;
          this.m_Maxima = newMax;
        } else {
          var m = this.m_Maxima;
          while (m.Next !== null && X >= m.Next.X) {
            m = m.Next;
          }
          if (X === m.X) {
            return;
          }
          newMax.Next = m.Next;
          newMax.Prev = m;
          if (m.Next !== null) {
            m.Next.Prev = newMax;
          }
          m.Next = newMax;
        }
      };
      ClipperLib2.Clipper.prototype.Execute = function() {
        var a = arguments, alen = a.length, ispolytree = a[1] instanceof ClipperLib2.PolyTree;
        if (alen === 4 && !ispolytree) {
          var clipType = a[0], solution = a[1], subjFillType = a[2], clipFillType = a[3];
          if (this.m_ExecuteLocked)
            return false;
          if (this.m_HasOpenPaths)
            ClipperLib2.Error("Error: PolyTree struct is needed for open path clipping.");
          this.m_ExecuteLocked = true;
          ClipperLib2.Clear(solution);
          this.m_SubjFillType = subjFillType;
          this.m_ClipFillType = clipFillType;
          this.m_ClipType = clipType;
          this.m_UsingPolyTree = false;
          try {
            var succeeded = this.ExecuteInternal();
            if (succeeded) this.BuildResult(solution);
          } finally {
            this.DisposeAllPolyPts();
            this.m_ExecuteLocked = false;
          }
          return succeeded;
        } else if (alen === 4 && ispolytree) {
          var clipType = a[0], polytree = a[1], subjFillType = a[2], clipFillType = a[3];
          if (this.m_ExecuteLocked)
            return false;
          this.m_ExecuteLocked = true;
          this.m_SubjFillType = subjFillType;
          this.m_ClipFillType = clipFillType;
          this.m_ClipType = clipType;
          this.m_UsingPolyTree = true;
          try {
            var succeeded = this.ExecuteInternal();
            if (succeeded) this.BuildResult2(polytree);
          } finally {
            this.DisposeAllPolyPts();
            this.m_ExecuteLocked = false;
          }
          return succeeded;
        } else if (alen === 2 && !ispolytree) {
          var clipType = a[0], solution = a[1];
          return this.Execute(clipType, solution, ClipperLib2.PolyFillType.pftEvenOdd, ClipperLib2.PolyFillType.pftEvenOdd);
        } else if (alen === 2 && ispolytree) {
          var clipType = a[0], polytree = a[1];
          return this.Execute(clipType, polytree, ClipperLib2.PolyFillType.pftEvenOdd, ClipperLib2.PolyFillType.pftEvenOdd);
        }
      };
      ClipperLib2.Clipper.prototype.FixHoleLinkage = function(outRec) {
        if (outRec.FirstLeft === null || outRec.IsHole !== outRec.FirstLeft.IsHole && outRec.FirstLeft.Pts !== null)
          return;
        var orfl = outRec.FirstLeft;
        while (orfl !== null && (orfl.IsHole === outRec.IsHole || orfl.Pts === null))
          orfl = orfl.FirstLeft;
        outRec.FirstLeft = orfl;
      };
      ClipperLib2.Clipper.prototype.ExecuteInternal = function() {
        try {
          this.Reset();
          this.m_SortedEdges = null;
          this.m_Maxima = null;
          var botY = {}, topY = {};
          if (!this.PopScanbeam(botY)) {
            return false;
          }
          this.InsertLocalMinimaIntoAEL(botY.v);
          while (this.PopScanbeam(topY) || this.LocalMinimaPending()) {
            this.ProcessHorizontals();
            this.m_GhostJoins.length = 0;
            if (!this.ProcessIntersections(topY.v)) {
              return false;
            }
            this.ProcessEdgesAtTopOfScanbeam(topY.v);
            botY.v = topY.v;
            this.InsertLocalMinimaIntoAEL(botY.v);
          }
          var outRec, i, ilen;
          for (i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
            outRec = this.m_PolyOuts[i];
            if (outRec.Pts === null || outRec.IsOpen) continue;
            if ((outRec.IsHole ^ this.ReverseSolution) == this.Area$1(outRec) > 0)
              this.ReversePolyPtLinks(outRec.Pts);
          }
          this.JoinCommonEdges();
          for (i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
            outRec = this.m_PolyOuts[i];
            if (outRec.Pts === null)
              continue;
            else if (outRec.IsOpen)
              this.FixupOutPolyline(outRec);
            else
              this.FixupOutPolygon(outRec);
          }
          if (this.StrictlySimple) this.DoSimplePolygons();
          return true;
        } finally {
          this.m_Joins.length = 0;
          this.m_GhostJoins.length = 0;
        }
      };
      ClipperLib2.Clipper.prototype.DisposeAllPolyPts = function() {
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; ++i)
          this.DisposeOutRec(i);
        ClipperLib2.Clear(this.m_PolyOuts);
      };
      ClipperLib2.Clipper.prototype.AddJoin = function(Op1, Op2, OffPt) {
        var j = new ClipperLib2.Join();
        j.OutPt1 = Op1;
        j.OutPt2 = Op2;
        j.OffPt.X = OffPt.X;
        j.OffPt.Y = OffPt.Y;
        if (ClipperLib2.use_xyz) j.OffPt.Z = OffPt.Z;
        this.m_Joins.push(j);
      };
      ClipperLib2.Clipper.prototype.AddGhostJoin = function(Op, OffPt) {
        var j = new ClipperLib2.Join();
        j.OutPt1 = Op;
        j.OffPt.X = OffPt.X;
        j.OffPt.Y = OffPt.Y;
        if (ClipperLib2.use_xyz) j.OffPt.Z = OffPt.Z;
        this.m_GhostJoins.push(j);
      };
      ClipperLib2.Clipper.prototype.SetZ = function(pt, e1, e2) {
        if (this.ZFillFunction !== null) {
          if (pt.Z !== 0 || this.ZFillFunction === null) return;
          else if (ClipperLib2.IntPoint.op_Equality(pt, e1.Bot)) pt.Z = e1.Bot.Z;
          else if (ClipperLib2.IntPoint.op_Equality(pt, e1.Top)) pt.Z = e1.Top.Z;
          else if (ClipperLib2.IntPoint.op_Equality(pt, e2.Bot)) pt.Z = e2.Bot.Z;
          else if (ClipperLib2.IntPoint.op_Equality(pt, e2.Top)) pt.Z = e2.Top.Z;
          else this.ZFillFunction(e1.Bot, e1.Top, e2.Bot, e2.Top, pt);
        }
      };
      ClipperLib2.Clipper.prototype.InsertLocalMinimaIntoAEL = function(botY) {
        var lm = {};
        var lb;
        var rb;
        while (this.PopLocalMinima(botY, lm)) {
          lb = lm.v.LeftBound;
          rb = lm.v.RightBound;
          var Op1 = null;
          if (lb === null) {
            this.InsertEdgeIntoAEL(rb, null);
            this.SetWindingCount(rb);
            if (this.IsContributing(rb))
              Op1 = this.AddOutPt(rb, rb.Bot);
          } else if (rb === null) {
            this.InsertEdgeIntoAEL(lb, null);
            this.SetWindingCount(lb);
            if (this.IsContributing(lb))
              Op1 = this.AddOutPt(lb, lb.Bot);
            this.InsertScanbeam(lb.Top.Y);
          } else {
            this.InsertEdgeIntoAEL(lb, null);
            this.InsertEdgeIntoAEL(rb, lb);
            this.SetWindingCount(lb);
            rb.WindCnt = lb.WindCnt;
            rb.WindCnt2 = lb.WindCnt2;
            if (this.IsContributing(lb))
              Op1 = this.AddLocalMinPoly(lb, rb, lb.Bot);
            this.InsertScanbeam(lb.Top.Y);
          }
          if (rb !== null) {
            if (ClipperLib2.ClipperBase.IsHorizontal(rb)) {
              if (rb.NextInLML !== null) {
                this.InsertScanbeam(rb.NextInLML.Top.Y);
              }
              this.AddEdgeToSEL(rb);
            } else {
              this.InsertScanbeam(rb.Top.Y);
            }
          }
          if (lb === null || rb === null) continue;
          if (Op1 !== null && ClipperLib2.ClipperBase.IsHorizontal(rb) && this.m_GhostJoins.length > 0 && rb.WindDelta !== 0) {
            for (var i = 0, ilen = this.m_GhostJoins.length; i < ilen; i++) {
              var j = this.m_GhostJoins[i];
              if (this.HorzSegmentsOverlap(j.OutPt1.Pt.X, j.OffPt.X, rb.Bot.X, rb.Top.X))
                this.AddJoin(j.OutPt1, Op1, j.OffPt);
            }
          }
          if (lb.OutIdx >= 0 && lb.PrevInAEL !== null && lb.PrevInAEL.Curr.X === lb.Bot.X && lb.PrevInAEL.OutIdx >= 0 && ClipperLib2.ClipperBase.SlopesEqual5(lb.PrevInAEL.Curr, lb.PrevInAEL.Top, lb.Curr, lb.Top, this.m_UseFullRange) && lb.WindDelta !== 0 && lb.PrevInAEL.WindDelta !== 0) {
            var Op2 = this.AddOutPt(lb.PrevInAEL, lb.Bot);
            this.AddJoin(Op1, Op2, lb.Top);
          }
          if (lb.NextInAEL !== rb) {
            if (rb.OutIdx >= 0 && rb.PrevInAEL.OutIdx >= 0 && ClipperLib2.ClipperBase.SlopesEqual5(rb.PrevInAEL.Curr, rb.PrevInAEL.Top, rb.Curr, rb.Top, this.m_UseFullRange) && rb.WindDelta !== 0 && rb.PrevInAEL.WindDelta !== 0) {
              var Op2 = this.AddOutPt(rb.PrevInAEL, rb.Bot);
              this.AddJoin(Op1, Op2, rb.Top);
            }
            var e = lb.NextInAEL;
            if (e !== null)
              while (e !== rb) {
                this.IntersectEdges(rb, e, lb.Curr);
                e = e.NextInAEL;
              }
          }
        }
      };
      ClipperLib2.Clipper.prototype.InsertEdgeIntoAEL = function(edge, startEdge) {
        if (this.m_ActiveEdges === null) {
          edge.PrevInAEL = null;
          edge.NextInAEL = null;
          this.m_ActiveEdges = edge;
        } else if (startEdge === null && this.E2InsertsBeforeE1(this.m_ActiveEdges, edge)) {
          edge.PrevInAEL = null;
          edge.NextInAEL = this.m_ActiveEdges;
          this.m_ActiveEdges.PrevInAEL = edge;
          this.m_ActiveEdges = edge;
        } else {
          if (startEdge === null)
            startEdge = this.m_ActiveEdges;
          while (startEdge.NextInAEL !== null && !this.E2InsertsBeforeE1(startEdge.NextInAEL, edge))
            startEdge = startEdge.NextInAEL;
          edge.NextInAEL = startEdge.NextInAEL;
          if (startEdge.NextInAEL !== null)
            startEdge.NextInAEL.PrevInAEL = edge;
          edge.PrevInAEL = startEdge;
          startEdge.NextInAEL = edge;
        }
      };
      ClipperLib2.Clipper.prototype.E2InsertsBeforeE1 = function(e1, e2) {
        if (e2.Curr.X === e1.Curr.X) {
          if (e2.Top.Y > e1.Top.Y)
            return e2.Top.X < ClipperLib2.Clipper.TopX(e1, e2.Top.Y);
          else
            return e1.Top.X > ClipperLib2.Clipper.TopX(e2, e1.Top.Y);
        } else
          return e2.Curr.X < e1.Curr.X;
      };
      ClipperLib2.Clipper.prototype.IsEvenOddFillType = function(edge) {
        if (edge.PolyTyp === ClipperLib2.PolyType.ptSubject)
          return this.m_SubjFillType === ClipperLib2.PolyFillType.pftEvenOdd;
        else
          return this.m_ClipFillType === ClipperLib2.PolyFillType.pftEvenOdd;
      };
      ClipperLib2.Clipper.prototype.IsEvenOddAltFillType = function(edge) {
        if (edge.PolyTyp === ClipperLib2.PolyType.ptSubject)
          return this.m_ClipFillType === ClipperLib2.PolyFillType.pftEvenOdd;
        else
          return this.m_SubjFillType === ClipperLib2.PolyFillType.pftEvenOdd;
      };
      ClipperLib2.Clipper.prototype.IsContributing = function(edge) {
        var pft, pft2;
        if (edge.PolyTyp === ClipperLib2.PolyType.ptSubject) {
          pft = this.m_SubjFillType;
          pft2 = this.m_ClipFillType;
        } else {
          pft = this.m_ClipFillType;
          pft2 = this.m_SubjFillType;
        }
        switch (pft) {
          case ClipperLib2.PolyFillType.pftEvenOdd:
            if (edge.WindDelta === 0 && edge.WindCnt !== 1)
              return false;
            break;
          case ClipperLib2.PolyFillType.pftNonZero:
            if (Math.abs(edge.WindCnt) !== 1)
              return false;
            break;
          case ClipperLib2.PolyFillType.pftPositive:
            if (edge.WindCnt !== 1)
              return false;
            break;
          default:
            if (edge.WindCnt !== -1)
              return false;
            break;
        }
        switch (this.m_ClipType) {
          case ClipperLib2.ClipType.ctIntersection:
            switch (pft2) {
              case ClipperLib2.PolyFillType.pftEvenOdd:
              case ClipperLib2.PolyFillType.pftNonZero:
                return edge.WindCnt2 !== 0;
              case ClipperLib2.PolyFillType.pftPositive:
                return edge.WindCnt2 > 0;
              default:
                return edge.WindCnt2 < 0;
            }
          case ClipperLib2.ClipType.ctUnion:
            switch (pft2) {
              case ClipperLib2.PolyFillType.pftEvenOdd:
              case ClipperLib2.PolyFillType.pftNonZero:
                return edge.WindCnt2 === 0;
              case ClipperLib2.PolyFillType.pftPositive:
                return edge.WindCnt2 <= 0;
              default:
                return edge.WindCnt2 >= 0;
            }
          case ClipperLib2.ClipType.ctDifference:
            if (edge.PolyTyp === ClipperLib2.PolyType.ptSubject)
              switch (pft2) {
                case ClipperLib2.PolyFillType.pftEvenOdd:
                case ClipperLib2.PolyFillType.pftNonZero:
                  return edge.WindCnt2 === 0;
                case ClipperLib2.PolyFillType.pftPositive:
                  return edge.WindCnt2 <= 0;
                default:
                  return edge.WindCnt2 >= 0;
              }
            else
              switch (pft2) {
                case ClipperLib2.PolyFillType.pftEvenOdd:
                case ClipperLib2.PolyFillType.pftNonZero:
                  return edge.WindCnt2 !== 0;
                case ClipperLib2.PolyFillType.pftPositive:
                  return edge.WindCnt2 > 0;
                default:
                  return edge.WindCnt2 < 0;
              }
          case ClipperLib2.ClipType.ctXor:
            if (edge.WindDelta === 0)
              switch (pft2) {
                case ClipperLib2.PolyFillType.pftEvenOdd:
                case ClipperLib2.PolyFillType.pftNonZero:
                  return edge.WindCnt2 === 0;
                case ClipperLib2.PolyFillType.pftPositive:
                  return edge.WindCnt2 <= 0;
                default:
                  return edge.WindCnt2 >= 0;
              }
            else
              return true;
        }
        return true;
      };
      ClipperLib2.Clipper.prototype.SetWindingCount = function(edge) {
        var e = edge.PrevInAEL;
        while (e !== null && (e.PolyTyp !== edge.PolyTyp || e.WindDelta === 0))
          e = e.PrevInAEL;
        if (e === null) {
          var pft = edge.PolyTyp === ClipperLib2.PolyType.ptSubject ? this.m_SubjFillType : this.m_ClipFillType;
          if (edge.WindDelta === 0) {
            edge.WindCnt = pft === ClipperLib2.PolyFillType.pftNegative ? -1 : 1;
          } else {
            edge.WindCnt = edge.WindDelta;
          }
          edge.WindCnt2 = 0;
          e = this.m_ActiveEdges;
        } else if (edge.WindDelta === 0 && this.m_ClipType !== ClipperLib2.ClipType.ctUnion) {
          edge.WindCnt = 1;
          edge.WindCnt2 = e.WindCnt2;
          e = e.NextInAEL;
        } else if (this.IsEvenOddFillType(edge)) {
          if (edge.WindDelta === 0) {
            var Inside = true;
            var e2 = e.PrevInAEL;
            while (e2 !== null) {
              if (e2.PolyTyp === e.PolyTyp && e2.WindDelta !== 0)
                Inside = !Inside;
              e2 = e2.PrevInAEL;
            }
            edge.WindCnt = Inside ? 0 : 1;
          } else {
            edge.WindCnt = edge.WindDelta;
          }
          edge.WindCnt2 = e.WindCnt2;
          e = e.NextInAEL;
        } else {
          if (e.WindCnt * e.WindDelta < 0) {
            if (Math.abs(e.WindCnt) > 1) {
              if (e.WindDelta * edge.WindDelta < 0)
                edge.WindCnt = e.WindCnt;
              else
                edge.WindCnt = e.WindCnt + edge.WindDelta;
            } else
              edge.WindCnt = edge.WindDelta === 0 ? 1 : edge.WindDelta;
          } else {
            if (edge.WindDelta === 0)
              edge.WindCnt = e.WindCnt < 0 ? e.WindCnt - 1 : e.WindCnt + 1;
            else if (e.WindDelta * edge.WindDelta < 0)
              edge.WindCnt = e.WindCnt;
            else
              edge.WindCnt = e.WindCnt + edge.WindDelta;
          }
          edge.WindCnt2 = e.WindCnt2;
          e = e.NextInAEL;
        }
        if (this.IsEvenOddAltFillType(edge)) {
          while (e !== edge) {
            if (e.WindDelta !== 0)
              edge.WindCnt2 = edge.WindCnt2 === 0 ? 1 : 0;
            e = e.NextInAEL;
          }
        } else {
          while (e !== edge) {
            edge.WindCnt2 += e.WindDelta;
            e = e.NextInAEL;
          }
        }
      };
      ClipperLib2.Clipper.prototype.AddEdgeToSEL = function(edge) {
        if (this.m_SortedEdges === null) {
          this.m_SortedEdges = edge;
          edge.PrevInSEL = null;
          edge.NextInSEL = null;
        } else {
          edge.NextInSEL = this.m_SortedEdges;
          edge.PrevInSEL = null;
          this.m_SortedEdges.PrevInSEL = edge;
          this.m_SortedEdges = edge;
        }
      };
      ClipperLib2.Clipper.prototype.PopEdgeFromSEL = function(e) {
        e.v = this.m_SortedEdges;
        if (e.v === null) {
          return false;
        }
        var oldE = e.v;
        this.m_SortedEdges = e.v.NextInSEL;
        if (this.m_SortedEdges !== null) {
          this.m_SortedEdges.PrevInSEL = null;
        }
        oldE.NextInSEL = null;
        oldE.PrevInSEL = null;
        return true;
      };
      ClipperLib2.Clipper.prototype.CopyAELToSEL = function() {
        var e = this.m_ActiveEdges;
        this.m_SortedEdges = e;
        while (e !== null) {
          e.PrevInSEL = e.PrevInAEL;
          e.NextInSEL = e.NextInAEL;
          e = e.NextInAEL;
        }
      };
      ClipperLib2.Clipper.prototype.SwapPositionsInSEL = function(edge1, edge2) {
        if (edge1.NextInSEL === null && edge1.PrevInSEL === null)
          return;
        if (edge2.NextInSEL === null && edge2.PrevInSEL === null)
          return;
        if (edge1.NextInSEL === edge2) {
          var next = edge2.NextInSEL;
          if (next !== null)
            next.PrevInSEL = edge1;
          var prev = edge1.PrevInSEL;
          if (prev !== null)
            prev.NextInSEL = edge2;
          edge2.PrevInSEL = prev;
          edge2.NextInSEL = edge1;
          edge1.PrevInSEL = edge2;
          edge1.NextInSEL = next;
        } else if (edge2.NextInSEL === edge1) {
          var next = edge1.NextInSEL;
          if (next !== null)
            next.PrevInSEL = edge2;
          var prev = edge2.PrevInSEL;
          if (prev !== null)
            prev.NextInSEL = edge1;
          edge1.PrevInSEL = prev;
          edge1.NextInSEL = edge2;
          edge2.PrevInSEL = edge1;
          edge2.NextInSEL = next;
        } else {
          var next = edge1.NextInSEL;
          var prev = edge1.PrevInSEL;
          edge1.NextInSEL = edge2.NextInSEL;
          if (edge1.NextInSEL !== null)
            edge1.NextInSEL.PrevInSEL = edge1;
          edge1.PrevInSEL = edge2.PrevInSEL;
          if (edge1.PrevInSEL !== null)
            edge1.PrevInSEL.NextInSEL = edge1;
          edge2.NextInSEL = next;
          if (edge2.NextInSEL !== null)
            edge2.NextInSEL.PrevInSEL = edge2;
          edge2.PrevInSEL = prev;
          if (edge2.PrevInSEL !== null)
            edge2.PrevInSEL.NextInSEL = edge2;
        }
        if (edge1.PrevInSEL === null)
          this.m_SortedEdges = edge1;
        else if (edge2.PrevInSEL === null)
          this.m_SortedEdges = edge2;
      };
      ClipperLib2.Clipper.prototype.AddLocalMaxPoly = function(e1, e2, pt) {
        this.AddOutPt(e1, pt);
        if (e2.WindDelta === 0) this.AddOutPt(e2, pt);
        if (e1.OutIdx === e2.OutIdx) {
          e1.OutIdx = -1;
          e2.OutIdx = -1;
        } else if (e1.OutIdx < e2.OutIdx)
          this.AppendPolygon(e1, e2);
        else
          this.AppendPolygon(e2, e1);
      };
      ClipperLib2.Clipper.prototype.AddLocalMinPoly = function(e1, e2, pt) {
        var result;
        var e, prevE;
        if (ClipperLib2.ClipperBase.IsHorizontal(e2) || e1.Dx > e2.Dx) {
          result = this.AddOutPt(e1, pt);
          e2.OutIdx = e1.OutIdx;
          e1.Side = ClipperLib2.EdgeSide.esLeft;
          e2.Side = ClipperLib2.EdgeSide.esRight;
          e = e1;
          if (e.PrevInAEL === e2)
            prevE = e2.PrevInAEL;
          else
            prevE = e.PrevInAEL;
        } else {
          result = this.AddOutPt(e2, pt);
          e1.OutIdx = e2.OutIdx;
          e1.Side = ClipperLib2.EdgeSide.esRight;
          e2.Side = ClipperLib2.EdgeSide.esLeft;
          e = e2;
          if (e.PrevInAEL === e1)
            prevE = e1.PrevInAEL;
          else
            prevE = e.PrevInAEL;
        }
        if (prevE !== null && prevE.OutIdx >= 0 && prevE.Top.Y < pt.Y && e.Top.Y < pt.Y) {
          var xPrev = ClipperLib2.Clipper.TopX(prevE, pt.Y);
          var xE = ClipperLib2.Clipper.TopX(e, pt.Y);
          if (xPrev === xE && e.WindDelta !== 0 && prevE.WindDelta !== 0 && ClipperLib2.ClipperBase.SlopesEqual5(new ClipperLib2.IntPoint2(xPrev, pt.Y), prevE.Top, new ClipperLib2.IntPoint2(xE, pt.Y), e.Top, this.m_UseFullRange)) {
            var outPt = this.AddOutPt(prevE, pt);
            this.AddJoin(result, outPt, e.Top);
          }
        }
        return result;
      };
      ClipperLib2.Clipper.prototype.AddOutPt = function(e, pt) {
        if (e.OutIdx < 0) {
          var outRec = this.CreateOutRec();
          outRec.IsOpen = e.WindDelta === 0;
          var newOp = new ClipperLib2.OutPt();
          outRec.Pts = newOp;
          newOp.Idx = outRec.Idx;
          newOp.Pt.X = pt.X;
          newOp.Pt.Y = pt.Y;
          if (ClipperLib2.use_xyz) newOp.Pt.Z = pt.Z;
          newOp.Next = newOp;
          newOp.Prev = newOp;
          if (!outRec.IsOpen)
            this.SetHoleState(e, outRec);
          e.OutIdx = outRec.Idx;
          return newOp;
        } else {
          var outRec = this.m_PolyOuts[e.OutIdx];
          var op = outRec.Pts;
          var ToFront = e.Side === ClipperLib2.EdgeSide.esLeft;
          if (ToFront && ClipperLib2.IntPoint.op_Equality(pt, op.Pt))
            return op;
          else if (!ToFront && ClipperLib2.IntPoint.op_Equality(pt, op.Prev.Pt))
            return op.Prev;
          var newOp = new ClipperLib2.OutPt();
          newOp.Idx = outRec.Idx;
          newOp.Pt.X = pt.X;
          newOp.Pt.Y = pt.Y;
          if (ClipperLib2.use_xyz) newOp.Pt.Z = pt.Z;
          newOp.Next = op;
          newOp.Prev = op.Prev;
          newOp.Prev.Next = newOp;
          op.Prev = newOp;
          if (ToFront)
            outRec.Pts = newOp;
          return newOp;
        }
      };
      ClipperLib2.Clipper.prototype.GetLastOutPt = function(e) {
        var outRec = this.m_PolyOuts[e.OutIdx];
        if (e.Side === ClipperLib2.EdgeSide.esLeft) {
          return outRec.Pts;
        } else {
          return outRec.Pts.Prev;
        }
      };
      ClipperLib2.Clipper.prototype.SwapPoints = function(pt1, pt2) {
        var tmp = new ClipperLib2.IntPoint1(pt1.Value);
        pt1.Value.X = pt2.Value.X;
        pt1.Value.Y = pt2.Value.Y;
        if (ClipperLib2.use_xyz) pt1.Value.Z = pt2.Value.Z;
        pt2.Value.X = tmp.X;
        pt2.Value.Y = tmp.Y;
        if (ClipperLib2.use_xyz) pt2.Value.Z = tmp.Z;
      };
      ClipperLib2.Clipper.prototype.HorzSegmentsOverlap = function(seg1a, seg1b, seg2a, seg2b) {
        var tmp;
        if (seg1a > seg1b) {
          tmp = seg1a;
          seg1a = seg1b;
          seg1b = tmp;
        }
        if (seg2a > seg2b) {
          tmp = seg2a;
          seg2a = seg2b;
          seg2b = tmp;
        }
        return seg1a < seg2b && seg2a < seg1b;
      };
      ClipperLib2.Clipper.prototype.SetHoleState = function(e, outRec) {
        var e2 = e.PrevInAEL;
        var eTmp = null;
        while (e2 !== null) {
          if (e2.OutIdx >= 0 && e2.WindDelta !== 0) {
            if (eTmp === null)
              eTmp = e2;
            else if (eTmp.OutIdx === e2.OutIdx)
              eTmp = null;
          }
          e2 = e2.PrevInAEL;
        }
        if (eTmp === null) {
          outRec.FirstLeft = null;
          outRec.IsHole = false;
        } else {
          outRec.FirstLeft = this.m_PolyOuts[eTmp.OutIdx];
          outRec.IsHole = !outRec.FirstLeft.IsHole;
        }
      };
      ClipperLib2.Clipper.prototype.GetDx = function(pt1, pt2) {
        if (pt1.Y === pt2.Y)
          return ClipperLib2.ClipperBase.horizontal;
        else
          return (pt2.X - pt1.X) / (pt2.Y - pt1.Y);
      };
      ClipperLib2.Clipper.prototype.FirstIsBottomPt = function(btmPt1, btmPt2) {
        var p = btmPt1.Prev;
        while (ClipperLib2.IntPoint.op_Equality(p.Pt, btmPt1.Pt) && p !== btmPt1)
          p = p.Prev;
        var dx1p = Math.abs(this.GetDx(btmPt1.Pt, p.Pt));
        p = btmPt1.Next;
        while (ClipperLib2.IntPoint.op_Equality(p.Pt, btmPt1.Pt) && p !== btmPt1)
          p = p.Next;
        var dx1n = Math.abs(this.GetDx(btmPt1.Pt, p.Pt));
        p = btmPt2.Prev;
        while (ClipperLib2.IntPoint.op_Equality(p.Pt, btmPt2.Pt) && p !== btmPt2)
          p = p.Prev;
        var dx2p = Math.abs(this.GetDx(btmPt2.Pt, p.Pt));
        p = btmPt2.Next;
        while (ClipperLib2.IntPoint.op_Equality(p.Pt, btmPt2.Pt) && p !== btmPt2)
          p = p.Next;
        var dx2n = Math.abs(this.GetDx(btmPt2.Pt, p.Pt));
        if (Math.max(dx1p, dx1n) === Math.max(dx2p, dx2n) && Math.min(dx1p, dx1n) === Math.min(dx2p, dx2n)) {
          return this.Area(btmPt1) > 0;
        } else {
          return dx1p >= dx2p && dx1p >= dx2n || dx1n >= dx2p && dx1n >= dx2n;
        }
      };
      ClipperLib2.Clipper.prototype.GetBottomPt = function(pp) {
        var dups = null;
        var p = pp.Next;
        while (p !== pp) {
          if (p.Pt.Y > pp.Pt.Y) {
            pp = p;
            dups = null;
          } else if (p.Pt.Y === pp.Pt.Y && p.Pt.X <= pp.Pt.X) {
            if (p.Pt.X < pp.Pt.X) {
              dups = null;
              pp = p;
            } else {
              if (p.Next !== pp && p.Prev !== pp)
                dups = p;
            }
          }
          p = p.Next;
        }
        if (dups !== null) {
          while (dups !== p) {
            if (!this.FirstIsBottomPt(p, dups))
              pp = dups;
            dups = dups.Next;
            while (ClipperLib2.IntPoint.op_Inequality(dups.Pt, pp.Pt))
              dups = dups.Next;
          }
        }
        return pp;
      };
      ClipperLib2.Clipper.prototype.GetLowermostRec = function(outRec1, outRec2) {
        if (outRec1.BottomPt === null)
          outRec1.BottomPt = this.GetBottomPt(outRec1.Pts);
        if (outRec2.BottomPt === null)
          outRec2.BottomPt = this.GetBottomPt(outRec2.Pts);
        var bPt1 = outRec1.BottomPt;
        var bPt2 = outRec2.BottomPt;
        if (bPt1.Pt.Y > bPt2.Pt.Y)
          return outRec1;
        else if (bPt1.Pt.Y < bPt2.Pt.Y)
          return outRec2;
        else if (bPt1.Pt.X < bPt2.Pt.X)
          return outRec1;
        else if (bPt1.Pt.X > bPt2.Pt.X)
          return outRec2;
        else if (bPt1.Next === bPt1)
          return outRec2;
        else if (bPt2.Next === bPt2)
          return outRec1;
        else if (this.FirstIsBottomPt(bPt1, bPt2))
          return outRec1;
        else
          return outRec2;
      };
      ClipperLib2.Clipper.prototype.OutRec1RightOfOutRec2 = function(outRec1, outRec2) {
        do {
          outRec1 = outRec1.FirstLeft;
          if (outRec1 === outRec2)
            return true;
        } while (outRec1 !== null);
        return false;
      };
      ClipperLib2.Clipper.prototype.GetOutRec = function(idx) {
        var outrec = this.m_PolyOuts[idx];
        while (outrec !== this.m_PolyOuts[outrec.Idx])
          outrec = this.m_PolyOuts[outrec.Idx];
        return outrec;
      };
      ClipperLib2.Clipper.prototype.AppendPolygon = function(e1, e2) {
        var outRec1 = this.m_PolyOuts[e1.OutIdx];
        var outRec2 = this.m_PolyOuts[e2.OutIdx];
        var holeStateRec;
        if (this.OutRec1RightOfOutRec2(outRec1, outRec2))
          holeStateRec = outRec2;
        else if (this.OutRec1RightOfOutRec2(outRec2, outRec1))
          holeStateRec = outRec1;
        else
          holeStateRec = this.GetLowermostRec(outRec1, outRec2);
        var p1_lft = outRec1.Pts;
        var p1_rt = p1_lft.Prev;
        var p2_lft = outRec2.Pts;
        var p2_rt = p2_lft.Prev;
        if (e1.Side === ClipperLib2.EdgeSide.esLeft) {
          if (e2.Side === ClipperLib2.EdgeSide.esLeft) {
            this.ReversePolyPtLinks(p2_lft);
            p2_lft.Next = p1_lft;
            p1_lft.Prev = p2_lft;
            p1_rt.Next = p2_rt;
            p2_rt.Prev = p1_rt;
            outRec1.Pts = p2_rt;
          } else {
            p2_rt.Next = p1_lft;
            p1_lft.Prev = p2_rt;
            p2_lft.Prev = p1_rt;
            p1_rt.Next = p2_lft;
            outRec1.Pts = p2_lft;
          }
        } else {
          if (e2.Side === ClipperLib2.EdgeSide.esRight) {
            this.ReversePolyPtLinks(p2_lft);
            p1_rt.Next = p2_rt;
            p2_rt.Prev = p1_rt;
            p2_lft.Next = p1_lft;
            p1_lft.Prev = p2_lft;
          } else {
            p1_rt.Next = p2_lft;
            p2_lft.Prev = p1_rt;
            p1_lft.Prev = p2_rt;
            p2_rt.Next = p1_lft;
          }
        }
        outRec1.BottomPt = null;
        if (holeStateRec === outRec2) {
          if (outRec2.FirstLeft !== outRec1)
            outRec1.FirstLeft = outRec2.FirstLeft;
          outRec1.IsHole = outRec2.IsHole;
        }
        outRec2.Pts = null;
        outRec2.BottomPt = null;
        outRec2.FirstLeft = outRec1;
        var OKIdx = e1.OutIdx;
        var ObsoleteIdx = e2.OutIdx;
        e1.OutIdx = -1;
        e2.OutIdx = -1;
        var e = this.m_ActiveEdges;
        while (e !== null) {
          if (e.OutIdx === ObsoleteIdx) {
            e.OutIdx = OKIdx;
            e.Side = e1.Side;
            break;
          }
          e = e.NextInAEL;
        }
        outRec2.Idx = outRec1.Idx;
      };
      ClipperLib2.Clipper.prototype.ReversePolyPtLinks = function(pp) {
        if (pp === null)
          return;
        var pp1;
        var pp2;
        pp1 = pp;
        do {
          pp2 = pp1.Next;
          pp1.Next = pp1.Prev;
          pp1.Prev = pp2;
          pp1 = pp2;
        } while (pp1 !== pp);
      };
      ClipperLib2.Clipper.SwapSides = function(edge1, edge2) {
        var side2 = edge1.Side;
        edge1.Side = edge2.Side;
        edge2.Side = side2;
      };
      ClipperLib2.Clipper.SwapPolyIndexes = function(edge1, edge2) {
        var outIdx = edge1.OutIdx;
        edge1.OutIdx = edge2.OutIdx;
        edge2.OutIdx = outIdx;
      };
      ClipperLib2.Clipper.prototype.IntersectEdges = function(e1, e2, pt) {
        var e1Contributing = e1.OutIdx >= 0;
        var e2Contributing = e2.OutIdx >= 0;
        if (ClipperLib2.use_xyz)
          this.SetZ(pt, e1, e2);
        if (ClipperLib2.use_lines) {
          if (e1.WindDelta === 0 || e2.WindDelta === 0) {
            if (e1.WindDelta === 0 && e2.WindDelta === 0) return;
            else if (e1.PolyTyp === e2.PolyTyp && e1.WindDelta !== e2.WindDelta && this.m_ClipType === ClipperLib2.ClipType.ctUnion) {
              if (e1.WindDelta === 0) {
                if (e2Contributing) {
                  this.AddOutPt(e1, pt);
                  if (e1Contributing)
                    e1.OutIdx = -1;
                }
              } else {
                if (e1Contributing) {
                  this.AddOutPt(e2, pt);
                  if (e2Contributing)
                    e2.OutIdx = -1;
                }
              }
            } else if (e1.PolyTyp !== e2.PolyTyp) {
              if (e1.WindDelta === 0 && Math.abs(e2.WindCnt) === 1 && (this.m_ClipType !== ClipperLib2.ClipType.ctUnion || e2.WindCnt2 === 0)) {
                this.AddOutPt(e1, pt);
                if (e1Contributing)
                  e1.OutIdx = -1;
              } else if (e2.WindDelta === 0 && Math.abs(e1.WindCnt) === 1 && (this.m_ClipType !== ClipperLib2.ClipType.ctUnion || e1.WindCnt2 === 0)) {
                this.AddOutPt(e2, pt);
                if (e2Contributing)
                  e2.OutIdx = -1;
              }
            }
            return;
          }
        }
        if (e1.PolyTyp === e2.PolyTyp) {
          if (this.IsEvenOddFillType(e1)) {
            var oldE1WindCnt = e1.WindCnt;
            e1.WindCnt = e2.WindCnt;
            e2.WindCnt = oldE1WindCnt;
          } else {
            if (e1.WindCnt + e2.WindDelta === 0)
              e1.WindCnt = -e1.WindCnt;
            else
              e1.WindCnt += e2.WindDelta;
            if (e2.WindCnt - e1.WindDelta === 0)
              e2.WindCnt = -e2.WindCnt;
            else
              e2.WindCnt -= e1.WindDelta;
          }
        } else {
          if (!this.IsEvenOddFillType(e2))
            e1.WindCnt2 += e2.WindDelta;
          else
            e1.WindCnt2 = e1.WindCnt2 === 0 ? 1 : 0;
          if (!this.IsEvenOddFillType(e1))
            e2.WindCnt2 -= e1.WindDelta;
          else
            e2.WindCnt2 = e2.WindCnt2 === 0 ? 1 : 0;
        }
        var e1FillType, e2FillType, e1FillType2, e2FillType2;
        if (e1.PolyTyp === ClipperLib2.PolyType.ptSubject) {
          e1FillType = this.m_SubjFillType;
          e1FillType2 = this.m_ClipFillType;
        } else {
          e1FillType = this.m_ClipFillType;
          e1FillType2 = this.m_SubjFillType;
        }
        if (e2.PolyTyp === ClipperLib2.PolyType.ptSubject) {
          e2FillType = this.m_SubjFillType;
          e2FillType2 = this.m_ClipFillType;
        } else {
          e2FillType = this.m_ClipFillType;
          e2FillType2 = this.m_SubjFillType;
        }
        var e1Wc, e2Wc;
        switch (e1FillType) {
          case ClipperLib2.PolyFillType.pftPositive:
            e1Wc = e1.WindCnt;
            break;
          case ClipperLib2.PolyFillType.pftNegative:
            e1Wc = -e1.WindCnt;
            break;
          default:
            e1Wc = Math.abs(e1.WindCnt);
            break;
        }
        switch (e2FillType) {
          case ClipperLib2.PolyFillType.pftPositive:
            e2Wc = e2.WindCnt;
            break;
          case ClipperLib2.PolyFillType.pftNegative:
            e2Wc = -e2.WindCnt;
            break;
          default:
            e2Wc = Math.abs(e2.WindCnt);
            break;
        }
        if (e1Contributing && e2Contributing) {
          if (e1Wc !== 0 && e1Wc !== 1 || e2Wc !== 0 && e2Wc !== 1 || e1.PolyTyp !== e2.PolyTyp && this.m_ClipType !== ClipperLib2.ClipType.ctXor) {
            this.AddLocalMaxPoly(e1, e2, pt);
          } else {
            this.AddOutPt(e1, pt);
            this.AddOutPt(e2, pt);
            ClipperLib2.Clipper.SwapSides(e1, e2);
            ClipperLib2.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if (e1Contributing) {
          if (e2Wc === 0 || e2Wc === 1) {
            this.AddOutPt(e1, pt);
            ClipperLib2.Clipper.SwapSides(e1, e2);
            ClipperLib2.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if (e2Contributing) {
          if (e1Wc === 0 || e1Wc === 1) {
            this.AddOutPt(e2, pt);
            ClipperLib2.Clipper.SwapSides(e1, e2);
            ClipperLib2.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if ((e1Wc === 0 || e1Wc === 1) && (e2Wc === 0 || e2Wc === 1)) {
          var e1Wc2, e2Wc2;
          switch (e1FillType2) {
            case ClipperLib2.PolyFillType.pftPositive:
              e1Wc2 = e1.WindCnt2;
              break;
            case ClipperLib2.PolyFillType.pftNegative:
              e1Wc2 = -e1.WindCnt2;
              break;
            default:
              e1Wc2 = Math.abs(e1.WindCnt2);
              break;
          }
          switch (e2FillType2) {
            case ClipperLib2.PolyFillType.pftPositive:
              e2Wc2 = e2.WindCnt2;
              break;
            case ClipperLib2.PolyFillType.pftNegative:
              e2Wc2 = -e2.WindCnt2;
              break;
            default:
              e2Wc2 = Math.abs(e2.WindCnt2);
              break;
          }
          if (e1.PolyTyp !== e2.PolyTyp) {
            this.AddLocalMinPoly(e1, e2, pt);
          } else if (e1Wc === 1 && e2Wc === 1)
            switch (this.m_ClipType) {
              case ClipperLib2.ClipType.ctIntersection:
                if (e1Wc2 > 0 && e2Wc2 > 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib2.ClipType.ctUnion:
                if (e1Wc2 <= 0 && e2Wc2 <= 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib2.ClipType.ctDifference:
                if (e1.PolyTyp === ClipperLib2.PolyType.ptClip && e1Wc2 > 0 && e2Wc2 > 0 || e1.PolyTyp === ClipperLib2.PolyType.ptSubject && e1Wc2 <= 0 && e2Wc2 <= 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib2.ClipType.ctXor:
                this.AddLocalMinPoly(e1, e2, pt);
                break;
            }
          else
            ClipperLib2.Clipper.SwapSides(e1, e2);
        }
      };
      ClipperLib2.Clipper.prototype.DeleteFromSEL = function(e) {
        var SelPrev = e.PrevInSEL;
        var SelNext = e.NextInSEL;
        if (SelPrev === null && SelNext === null && e !== this.m_SortedEdges)
          return;
        if (SelPrev !== null)
          SelPrev.NextInSEL = SelNext;
        else
          this.m_SortedEdges = SelNext;
        if (SelNext !== null)
          SelNext.PrevInSEL = SelPrev;
        e.NextInSEL = null;
        e.PrevInSEL = null;
      };
      ClipperLib2.Clipper.prototype.ProcessHorizontals = function() {
        var horzEdge = {};
        while (this.PopEdgeFromSEL(horzEdge)) {
          this.ProcessHorizontal(horzEdge.v);
        }
      };
      ClipperLib2.Clipper.prototype.GetHorzDirection = function(HorzEdge, $var) {
        if (HorzEdge.Bot.X < HorzEdge.Top.X) {
          $var.Left = HorzEdge.Bot.X;
          $var.Right = HorzEdge.Top.X;
          $var.Dir = ClipperLib2.Direction.dLeftToRight;
        } else {
          $var.Left = HorzEdge.Top.X;
          $var.Right = HorzEdge.Bot.X;
          $var.Dir = ClipperLib2.Direction.dRightToLeft;
        }
      };
      ClipperLib2.Clipper.prototype.ProcessHorizontal = function(horzEdge) {
        var $var = {
          Dir: null,
          Left: null,
          Right: null
        };
        this.GetHorzDirection(horzEdge, $var);
        var dir = $var.Dir;
        var horzLeft = $var.Left;
        var horzRight = $var.Right;
        var IsOpen = horzEdge.WindDelta === 0;
        var eLastHorz = horzEdge, eMaxPair = null;
        while (eLastHorz.NextInLML !== null && ClipperLib2.ClipperBase.IsHorizontal(eLastHorz.NextInLML))
          eLastHorz = eLastHorz.NextInLML;
        if (eLastHorz.NextInLML === null)
          eMaxPair = this.GetMaximaPair(eLastHorz);
        var currMax = this.m_Maxima;
        if (currMax !== null) {
          if (dir === ClipperLib2.Direction.dLeftToRight) {
            while (currMax !== null && currMax.X <= horzEdge.Bot.X) {
              currMax = currMax.Next;
            }
            if (currMax !== null && currMax.X >= eLastHorz.Top.X) {
              currMax = null;
            }
          } else {
            while (currMax.Next !== null && currMax.Next.X < horzEdge.Bot.X) {
              currMax = currMax.Next;
            }
            if (currMax.X <= eLastHorz.Top.X) {
              currMax = null;
            }
          }
        }
        var op1 = null;
        for (; ; ) {
          var IsLastHorz = horzEdge === eLastHorz;
          var e = this.GetNextInAEL(horzEdge, dir);
          while (e !== null) {
            if (currMax !== null) {
              if (dir === ClipperLib2.Direction.dLeftToRight) {
                while (currMax !== null && currMax.X < e.Curr.X) {
                  if (horzEdge.OutIdx >= 0 && !IsOpen) {
                    this.AddOutPt(horzEdge, new ClipperLib2.IntPoint2(currMax.X, horzEdge.Bot.Y));
                  }
                  currMax = currMax.Next;
                }
              } else {
                while (currMax !== null && currMax.X > e.Curr.X) {
                  if (horzEdge.OutIdx >= 0 && !IsOpen) {
                    this.AddOutPt(horzEdge, new ClipperLib2.IntPoint2(currMax.X, horzEdge.Bot.Y));
                  }
                  currMax = currMax.Prev;
                }
              }
            }
            if (dir === ClipperLib2.Direction.dLeftToRight && e.Curr.X > horzRight || dir === ClipperLib2.Direction.dRightToLeft && e.Curr.X < horzLeft) {
              break;
            }
            if (e.Curr.X === horzEdge.Top.X && horzEdge.NextInLML !== null && e.Dx < horzEdge.NextInLML.Dx)
              break;
            if (horzEdge.OutIdx >= 0 && !IsOpen) {
              if (ClipperLib2.use_xyz) {
                if (dir === ClipperLib2.Direction.dLeftToRight)
                  this.SetZ(e.Curr, horzEdge, e);
                else this.SetZ(e.Curr, e, horzEdge);
              }
              op1 = this.AddOutPt(horzEdge, e.Curr);
              var eNextHorz = this.m_SortedEdges;
              while (eNextHorz !== null) {
                if (eNextHorz.OutIdx >= 0 && this.HorzSegmentsOverlap(horzEdge.Bot.X, horzEdge.Top.X, eNextHorz.Bot.X, eNextHorz.Top.X)) {
                  var op2 = this.GetLastOutPt(eNextHorz);
                  this.AddJoin(op2, op1, eNextHorz.Top);
                }
                eNextHorz = eNextHorz.NextInSEL;
              }
              this.AddGhostJoin(op1, horzEdge.Bot);
            }
            if (e === eMaxPair && IsLastHorz) {
              if (horzEdge.OutIdx >= 0) {
                this.AddLocalMaxPoly(horzEdge, eMaxPair, horzEdge.Top);
              }
              this.DeleteFromAEL(horzEdge);
              this.DeleteFromAEL(eMaxPair);
              return;
            }
            if (dir === ClipperLib2.Direction.dLeftToRight) {
              var Pt = new ClipperLib2.IntPoint2(e.Curr.X, horzEdge.Curr.Y);
              this.IntersectEdges(horzEdge, e, Pt);
            } else {
              var Pt = new ClipperLib2.IntPoint2(e.Curr.X, horzEdge.Curr.Y);
              this.IntersectEdges(e, horzEdge, Pt);
            }
            var eNext = this.GetNextInAEL(e, dir);
            this.SwapPositionsInAEL(horzEdge, e);
            e = eNext;
          }
          if (horzEdge.NextInLML === null || !ClipperLib2.ClipperBase.IsHorizontal(horzEdge.NextInLML)) {
            break;
          }
          horzEdge = this.UpdateEdgeIntoAEL(horzEdge);
          if (horzEdge.OutIdx >= 0) {
            this.AddOutPt(horzEdge, horzEdge.Bot);
          }
          $var = {
            Dir: dir,
            Left: horzLeft,
            Right: horzRight
          };
          this.GetHorzDirection(horzEdge, $var);
          dir = $var.Dir;
          horzLeft = $var.Left;
          horzRight = $var.Right;
        }
        if (horzEdge.OutIdx >= 0 && op1 === null) {
          op1 = this.GetLastOutPt(horzEdge);
          var eNextHorz = this.m_SortedEdges;
          while (eNextHorz !== null) {
            if (eNextHorz.OutIdx >= 0 && this.HorzSegmentsOverlap(horzEdge.Bot.X, horzEdge.Top.X, eNextHorz.Bot.X, eNextHorz.Top.X)) {
              var op2 = this.GetLastOutPt(eNextHorz);
              this.AddJoin(op2, op1, eNextHorz.Top);
            }
            eNextHorz = eNextHorz.NextInSEL;
          }
          this.AddGhostJoin(op1, horzEdge.Top);
        }
        if (horzEdge.NextInLML !== null) {
          if (horzEdge.OutIdx >= 0) {
            op1 = this.AddOutPt(horzEdge, horzEdge.Top);
            horzEdge = this.UpdateEdgeIntoAEL(horzEdge);
            if (horzEdge.WindDelta === 0) {
              return;
            }
            var ePrev = horzEdge.PrevInAEL;
            var eNext = horzEdge.NextInAEL;
            if (ePrev !== null && ePrev.Curr.X === horzEdge.Bot.X && ePrev.Curr.Y === horzEdge.Bot.Y && ePrev.WindDelta === 0 && (ePrev.OutIdx >= 0 && ePrev.Curr.Y > ePrev.Top.Y && ClipperLib2.ClipperBase.SlopesEqual3(horzEdge, ePrev, this.m_UseFullRange))) {
              var op2 = this.AddOutPt(ePrev, horzEdge.Bot);
              this.AddJoin(op1, op2, horzEdge.Top);
            } else if (eNext !== null && eNext.Curr.X === horzEdge.Bot.X && eNext.Curr.Y === horzEdge.Bot.Y && eNext.WindDelta !== 0 && eNext.OutIdx >= 0 && eNext.Curr.Y > eNext.Top.Y && ClipperLib2.ClipperBase.SlopesEqual3(horzEdge, eNext, this.m_UseFullRange)) {
              var op2 = this.AddOutPt(eNext, horzEdge.Bot);
              this.AddJoin(op1, op2, horzEdge.Top);
            }
          } else {
            horzEdge = this.UpdateEdgeIntoAEL(horzEdge);
          }
        } else {
          if (horzEdge.OutIdx >= 0) {
            this.AddOutPt(horzEdge, horzEdge.Top);
          }
          this.DeleteFromAEL(horzEdge);
        }
      };
      ClipperLib2.Clipper.prototype.GetNextInAEL = function(e, Direction) {
        return Direction === ClipperLib2.Direction.dLeftToRight ? e.NextInAEL : e.PrevInAEL;
      };
      ClipperLib2.Clipper.prototype.IsMinima = function(e) {
        return e !== null && e.Prev.NextInLML !== e && e.Next.NextInLML !== e;
      };
      ClipperLib2.Clipper.prototype.IsMaxima = function(e, Y) {
        return e !== null && e.Top.Y === Y && e.NextInLML === null;
      };
      ClipperLib2.Clipper.prototype.IsIntermediate = function(e, Y) {
        return e.Top.Y === Y && e.NextInLML !== null;
      };
      ClipperLib2.Clipper.prototype.GetMaximaPair = function(e) {
        if (ClipperLib2.IntPoint.op_Equality(e.Next.Top, e.Top) && e.Next.NextInLML === null) {
          return e.Next;
        } else {
          if (ClipperLib2.IntPoint.op_Equality(e.Prev.Top, e.Top) && e.Prev.NextInLML === null) {
            return e.Prev;
          } else {
            return null;
          }
        }
      };
      ClipperLib2.Clipper.prototype.GetMaximaPairEx = function(e) {
        var result = this.GetMaximaPair(e);
        if (result === null || result.OutIdx === ClipperLib2.ClipperBase.Skip || result.NextInAEL === result.PrevInAEL && !ClipperLib2.ClipperBase.IsHorizontal(result)) {
          return null;
        }
        return result;
      };
      ClipperLib2.Clipper.prototype.ProcessIntersections = function(topY) {
        if (this.m_ActiveEdges === null)
          return true;
        try {
          this.BuildIntersectList(topY);
          if (this.m_IntersectList.length === 0)
            return true;
          if (this.m_IntersectList.length === 1 || this.FixupIntersectionOrder())
            this.ProcessIntersectList();
          else
            return false;
        } catch ($$e2) {
          this.m_SortedEdges = null;
          this.m_IntersectList.length = 0;
          ClipperLib2.Error("ProcessIntersections error");
        }
        this.m_SortedEdges = null;
        return true;
      };
      ClipperLib2.Clipper.prototype.BuildIntersectList = function(topY) {
        if (this.m_ActiveEdges === null)
          return;
        var e = this.m_ActiveEdges;
        this.m_SortedEdges = e;
        while (e !== null) {
          e.PrevInSEL = e.PrevInAEL;
          e.NextInSEL = e.NextInAEL;
          e.Curr.X = ClipperLib2.Clipper.TopX(e, topY);
          e = e.NextInAEL;
        }
        var isModified = true;
        while (isModified && this.m_SortedEdges !== null) {
          isModified = false;
          e = this.m_SortedEdges;
          while (e.NextInSEL !== null) {
            var eNext = e.NextInSEL;
            var pt = new ClipperLib2.IntPoint0();
            if (e.Curr.X > eNext.Curr.X) {
              this.IntersectPoint(e, eNext, pt);
              if (pt.Y < topY) {
                pt = new ClipperLib2.IntPoint2(ClipperLib2.Clipper.TopX(e, topY), topY);
              }
              var newNode = new ClipperLib2.IntersectNode();
              newNode.Edge1 = e;
              newNode.Edge2 = eNext;
              newNode.Pt.X = pt.X;
              newNode.Pt.Y = pt.Y;
              if (ClipperLib2.use_xyz) newNode.Pt.Z = pt.Z;
              this.m_IntersectList.push(newNode);
              this.SwapPositionsInSEL(e, eNext);
              isModified = true;
            } else
              e = eNext;
          }
          if (e.PrevInSEL !== null)
            e.PrevInSEL.NextInSEL = null;
          else
            break;
        }
        this.m_SortedEdges = null;
      };
      ClipperLib2.Clipper.prototype.EdgesAdjacent = function(inode) {
        return inode.Edge1.NextInSEL === inode.Edge2 || inode.Edge1.PrevInSEL === inode.Edge2;
      };
      ClipperLib2.Clipper.IntersectNodeSort = function(node1, node2) {
        return node2.Pt.Y - node1.Pt.Y;
      };
      ClipperLib2.Clipper.prototype.FixupIntersectionOrder = function() {
        this.m_IntersectList.sort(this.m_IntersectNodeComparer);
        this.CopyAELToSEL();
        var cnt = this.m_IntersectList.length;
        for (var i = 0; i < cnt; i++) {
          if (!this.EdgesAdjacent(this.m_IntersectList[i])) {
            var j = i + 1;
            while (j < cnt && !this.EdgesAdjacent(this.m_IntersectList[j]))
              j++;
            if (j === cnt)
              return false;
            var tmp = this.m_IntersectList[i];
            this.m_IntersectList[i] = this.m_IntersectList[j];
            this.m_IntersectList[j] = tmp;
          }
          this.SwapPositionsInSEL(this.m_IntersectList[i].Edge1, this.m_IntersectList[i].Edge2);
        }
        return true;
      };
      ClipperLib2.Clipper.prototype.ProcessIntersectList = function() {
        for (var i = 0, ilen = this.m_IntersectList.length; i < ilen; i++) {
          var iNode = this.m_IntersectList[i];
          this.IntersectEdges(iNode.Edge1, iNode.Edge2, iNode.Pt);
          this.SwapPositionsInAEL(iNode.Edge1, iNode.Edge2);
        }
        this.m_IntersectList.length = 0;
      };
      var R1 = function(a) {
        return a < 0 ? Math.ceil(a - 0.5) : Math.round(a);
      };
      var R2 = function(a) {
        return a < 0 ? Math.ceil(a - 0.5) : Math.floor(a + 0.5);
      };
      var R3 = function(a) {
        return a < 0 ? -Math.round(Math.abs(a)) : Math.round(a);
      };
      var R4 = function(a) {
        if (a < 0) {
          a -= 0.5;
          return a < -2147483648 ? Math.ceil(a) : a | 0;
        } else {
          a += 0.5;
          return a > 2147483647 ? Math.floor(a) : a | 0;
        }
      };
      if (browser.msie) ClipperLib2.Clipper.Round = R1;
      else if (browser.chromium) ClipperLib2.Clipper.Round = R3;
      else if (browser.safari) ClipperLib2.Clipper.Round = R4;
      else ClipperLib2.Clipper.Round = R2;
      ClipperLib2.Clipper.TopX = function(edge, currentY) {
        if (currentY === edge.Top.Y)
          return edge.Top.X;
        return edge.Bot.X + ClipperLib2.Clipper.Round(edge.Dx * (currentY - edge.Bot.Y));
      };
      ClipperLib2.Clipper.prototype.IntersectPoint = function(edge1, edge2, ip) {
        ip.X = 0;
        ip.Y = 0;
        var b1, b2;
        if (edge1.Dx === edge2.Dx) {
          ip.Y = edge1.Curr.Y;
          ip.X = ClipperLib2.Clipper.TopX(edge1, ip.Y);
          return;
        }
        if (edge1.Delta.X === 0) {
          ip.X = edge1.Bot.X;
          if (ClipperLib2.ClipperBase.IsHorizontal(edge2)) {
            ip.Y = edge2.Bot.Y;
          } else {
            b2 = edge2.Bot.Y - edge2.Bot.X / edge2.Dx;
            ip.Y = ClipperLib2.Clipper.Round(ip.X / edge2.Dx + b2);
          }
        } else if (edge2.Delta.X === 0) {
          ip.X = edge2.Bot.X;
          if (ClipperLib2.ClipperBase.IsHorizontal(edge1)) {
            ip.Y = edge1.Bot.Y;
          } else {
            b1 = edge1.Bot.Y - edge1.Bot.X / edge1.Dx;
            ip.Y = ClipperLib2.Clipper.Round(ip.X / edge1.Dx + b1);
          }
        } else {
          b1 = edge1.Bot.X - edge1.Bot.Y * edge1.Dx;
          b2 = edge2.Bot.X - edge2.Bot.Y * edge2.Dx;
          var q = (b2 - b1) / (edge1.Dx - edge2.Dx);
          ip.Y = ClipperLib2.Clipper.Round(q);
          if (Math.abs(edge1.Dx) < Math.abs(edge2.Dx))
            ip.X = ClipperLib2.Clipper.Round(edge1.Dx * q + b1);
          else
            ip.X = ClipperLib2.Clipper.Round(edge2.Dx * q + b2);
        }
        if (ip.Y < edge1.Top.Y || ip.Y < edge2.Top.Y) {
          if (edge1.Top.Y > edge2.Top.Y) {
            ip.Y = edge1.Top.Y;
            ip.X = ClipperLib2.Clipper.TopX(edge2, edge1.Top.Y);
            return ip.X < edge1.Top.X;
          } else
            ip.Y = edge2.Top.Y;
          if (Math.abs(edge1.Dx) < Math.abs(edge2.Dx))
            ip.X = ClipperLib2.Clipper.TopX(edge1, ip.Y);
          else
            ip.X = ClipperLib2.Clipper.TopX(edge2, ip.Y);
        }
        if (ip.Y > edge1.Curr.Y) {
          ip.Y = edge1.Curr.Y;
          if (Math.abs(edge1.Dx) > Math.abs(edge2.Dx))
            ip.X = ClipperLib2.Clipper.TopX(edge2, ip.Y);
          else
            ip.X = ClipperLib2.Clipper.TopX(edge1, ip.Y);
        }
      };
      ClipperLib2.Clipper.prototype.ProcessEdgesAtTopOfScanbeam = function(topY) {
        var e = this.m_ActiveEdges;
        while (e !== null) {
          var IsMaximaEdge = this.IsMaxima(e, topY);
          if (IsMaximaEdge) {
            var eMaxPair = this.GetMaximaPairEx(e);
            IsMaximaEdge = eMaxPair === null || !ClipperLib2.ClipperBase.IsHorizontal(eMaxPair);
          }
          if (IsMaximaEdge) {
            if (this.StrictlySimple) {
              this.InsertMaxima(e.Top.X);
            }
            var ePrev = e.PrevInAEL;
            this.DoMaxima(e);
            if (ePrev === null)
              e = this.m_ActiveEdges;
            else
              e = ePrev.NextInAEL;
          } else {
            if (this.IsIntermediate(e, topY) && ClipperLib2.ClipperBase.IsHorizontal(e.NextInLML)) {
              e = this.UpdateEdgeIntoAEL(e);
              if (e.OutIdx >= 0)
                this.AddOutPt(e, e.Bot);
              this.AddEdgeToSEL(e);
            } else {
              e.Curr.X = ClipperLib2.Clipper.TopX(e, topY);
              e.Curr.Y = topY;
            }
            if (ClipperLib2.use_xyz) {
              if (e.Top.Y === topY) e.Curr.Z = e.Top.Z;
              else if (e.Bot.Y === topY) e.Curr.Z = e.Bot.Z;
              else e.Curr.Z = 0;
            }
            if (this.StrictlySimple) {
              var ePrev = e.PrevInAEL;
              if (e.OutIdx >= 0 && e.WindDelta !== 0 && ePrev !== null && ePrev.OutIdx >= 0 && ePrev.Curr.X === e.Curr.X && ePrev.WindDelta !== 0) {
                var ip = new ClipperLib2.IntPoint1(e.Curr);
                if (ClipperLib2.use_xyz) {
                  this.SetZ(ip, ePrev, e);
                }
                var op = this.AddOutPt(ePrev, ip);
                var op2 = this.AddOutPt(e, ip);
                this.AddJoin(op, op2, ip);
              }
            }
            e = e.NextInAEL;
          }
        }
        this.ProcessHorizontals();
        this.m_Maxima = null;
        e = this.m_ActiveEdges;
        while (e !== null) {
          if (this.IsIntermediate(e, topY)) {
            var op = null;
            if (e.OutIdx >= 0)
              op = this.AddOutPt(e, e.Top);
            e = this.UpdateEdgeIntoAEL(e);
            var ePrev = e.PrevInAEL;
            var eNext = e.NextInAEL;
            if (ePrev !== null && ePrev.Curr.X === e.Bot.X && ePrev.Curr.Y === e.Bot.Y && op !== null && ePrev.OutIdx >= 0 && ePrev.Curr.Y === ePrev.Top.Y && ClipperLib2.ClipperBase.SlopesEqual5(e.Curr, e.Top, ePrev.Curr, ePrev.Top, this.m_UseFullRange) && e.WindDelta !== 0 && ePrev.WindDelta !== 0) {
              var op2 = this.AddOutPt(ePrev2, e.Bot);
              this.AddJoin(op, op2, e.Top);
            } else if (eNext !== null && eNext.Curr.X === e.Bot.X && eNext.Curr.Y === e.Bot.Y && op !== null && eNext.OutIdx >= 0 && eNext.Curr.Y === eNext.Top.Y && ClipperLib2.ClipperBase.SlopesEqual5(e.Curr, e.Top, eNext.Curr, eNext.Top, this.m_UseFullRange) && e.WindDelta !== 0 && eNext.WindDelta !== 0) {
              var op2 = this.AddOutPt(eNext, e.Bot);
              this.AddJoin(op, op2, e.Top);
            }
          }
          e = e.NextInAEL;
        }
      };
      ClipperLib2.Clipper.prototype.DoMaxima = function(e) {
        var eMaxPair = this.GetMaximaPairEx(e);
        if (eMaxPair === null) {
          if (e.OutIdx >= 0)
            this.AddOutPt(e, e.Top);
          this.DeleteFromAEL(e);
          return;
        }
        var eNext = e.NextInAEL;
        while (eNext !== null && eNext !== eMaxPair) {
          this.IntersectEdges(e, eNext, e.Top);
          this.SwapPositionsInAEL(e, eNext);
          eNext = e.NextInAEL;
        }
        if (e.OutIdx === -1 && eMaxPair.OutIdx === -1) {
          this.DeleteFromAEL(e);
          this.DeleteFromAEL(eMaxPair);
        } else if (e.OutIdx >= 0 && eMaxPair.OutIdx >= 0) {
          if (e.OutIdx >= 0) this.AddLocalMaxPoly(e, eMaxPair, e.Top);
          this.DeleteFromAEL(e);
          this.DeleteFromAEL(eMaxPair);
        } else if (ClipperLib2.use_lines && e.WindDelta === 0) {
          if (e.OutIdx >= 0) {
            this.AddOutPt(e, e.Top);
            e.OutIdx = ClipperLib2.ClipperBase.Unassigned;
          }
          this.DeleteFromAEL(e);
          if (eMaxPair.OutIdx >= 0) {
            this.AddOutPt(eMaxPair, e.Top);
            eMaxPair.OutIdx = ClipperLib2.ClipperBase.Unassigned;
          }
          this.DeleteFromAEL(eMaxPair);
        } else
          ClipperLib2.Error("DoMaxima error");
      };
      ClipperLib2.Clipper.ReversePaths = function(polys) {
        for (var i = 0, len = polys.length; i < len; i++)
          polys[i].reverse();
      };
      ClipperLib2.Clipper.Orientation = function(poly) {
        return ClipperLib2.Clipper.Area(poly) >= 0;
      };
      ClipperLib2.Clipper.prototype.PointCount = function(pts) {
        if (pts === null)
          return 0;
        var result = 0;
        var p = pts;
        do {
          result++;
          p = p.Next;
        } while (p !== pts);
        return result;
      };
      ClipperLib2.Clipper.prototype.BuildResult = function(polyg) {
        ClipperLib2.Clear(polyg);
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          var outRec = this.m_PolyOuts[i];
          if (outRec.Pts === null)
            continue;
          var p = outRec.Pts.Prev;
          var cnt = this.PointCount(p);
          if (cnt < 2)
            continue;
          var pg = new Array(cnt);
          for (var j = 0; j < cnt; j++) {
            pg[j] = p.Pt;
            p = p.Prev;
          }
          polyg.push(pg);
        }
      };
      ClipperLib2.Clipper.prototype.BuildResult2 = function(polytree) {
        polytree.Clear();
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          var outRec = this.m_PolyOuts[i];
          var cnt = this.PointCount(outRec.Pts);
          if (outRec.IsOpen && cnt < 2 || !outRec.IsOpen && cnt < 3)
            continue;
          this.FixHoleLinkage(outRec);
          var pn = new ClipperLib2.PolyNode();
          polytree.m_AllPolys.push(pn);
          outRec.PolyNode = pn;
          pn.m_polygon.length = cnt;
          var op = outRec.Pts.Prev;
          for (var j = 0; j < cnt; j++) {
            pn.m_polygon[j] = op.Pt;
            op = op.Prev;
          }
        }
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          var outRec = this.m_PolyOuts[i];
          if (outRec.PolyNode === null)
            continue;
          else if (outRec.IsOpen) {
            outRec.PolyNode.IsOpen = true;
            polytree.AddChild(outRec.PolyNode);
          } else if (outRec.FirstLeft !== null && outRec.FirstLeft.PolyNode !== null)
            outRec.FirstLeft.PolyNode.AddChild(outRec.PolyNode);
          else
            polytree.AddChild(outRec.PolyNode);
        }
      };
      ClipperLib2.Clipper.prototype.FixupOutPolyline = function(outRec) {
        var pp = outRec.Pts;
        var lastPP = pp.Prev;
        while (pp !== lastPP) {
          pp = pp.Next;
          if (ClipperLib2.IntPoint.op_Equality(pp.Pt, pp.Prev.Pt)) {
            if (pp === lastPP) {
              lastPP = pp.Prev;
            }
            var tmpPP = pp.Prev;
            tmpPP.Next = pp.Next;
            pp.Next.Prev = tmpPP;
            pp = tmpPP;
          }
        }
        if (pp === pp.Prev) {
          outRec.Pts = null;
        }
      };
      ClipperLib2.Clipper.prototype.FixupOutPolygon = function(outRec) {
        var lastOK = null;
        outRec.BottomPt = null;
        var pp = outRec.Pts;
        var preserveCol = this.PreserveCollinear || this.StrictlySimple;
        for (; ; ) {
          if (pp.Prev === pp || pp.Prev === pp.Next) {
            outRec.Pts = null;
            return;
          }
          if (ClipperLib2.IntPoint.op_Equality(pp.Pt, pp.Next.Pt) || ClipperLib2.IntPoint.op_Equality(pp.Pt, pp.Prev.Pt) || ClipperLib2.ClipperBase.SlopesEqual4(pp.Prev.Pt, pp.Pt, pp.Next.Pt, this.m_UseFullRange) && (!preserveCol || !this.Pt2IsBetweenPt1AndPt3(pp.Prev.Pt, pp.Pt, pp.Next.Pt))) {
            lastOK = null;
            pp.Prev.Next = pp.Next;
            pp.Next.Prev = pp.Prev;
            pp = pp.Prev;
          } else if (pp === lastOK)
            break;
          else {
            if (lastOK === null)
              lastOK = pp;
            pp = pp.Next;
          }
        }
        outRec.Pts = pp;
      };
      ClipperLib2.Clipper.prototype.DupOutPt = function(outPt, InsertAfter) {
        var result = new ClipperLib2.OutPt();
        result.Pt.X = outPt.Pt.X;
        result.Pt.Y = outPt.Pt.Y;
        if (ClipperLib2.use_xyz) result.Pt.Z = outPt.Pt.Z;
        result.Idx = outPt.Idx;
        if (InsertAfter) {
          result.Next = outPt.Next;
          result.Prev = outPt;
          outPt.Next.Prev = result;
          outPt.Next = result;
        } else {
          result.Prev = outPt.Prev;
          result.Next = outPt;
          outPt.Prev.Next = result;
          outPt.Prev = result;
        }
        return result;
      };
      ClipperLib2.Clipper.prototype.GetOverlap = function(a1, a2, b1, b2, $val) {
        if (a1 < a2) {
          if (b1 < b2) {
            $val.Left = Math.max(a1, b1);
            $val.Right = Math.min(a2, b2);
          } else {
            $val.Left = Math.max(a1, b2);
            $val.Right = Math.min(a2, b1);
          }
        } else {
          if (b1 < b2) {
            $val.Left = Math.max(a2, b1);
            $val.Right = Math.min(a1, b2);
          } else {
            $val.Left = Math.max(a2, b2);
            $val.Right = Math.min(a1, b1);
          }
        }
        return $val.Left < $val.Right;
      };
      ClipperLib2.Clipper.prototype.JoinHorz = function(op1, op1b, op2, op2b, Pt, DiscardLeft) {
        var Dir1 = op1.Pt.X > op1b.Pt.X ? ClipperLib2.Direction.dRightToLeft : ClipperLib2.Direction.dLeftToRight;
        var Dir2 = op2.Pt.X > op2b.Pt.X ? ClipperLib2.Direction.dRightToLeft : ClipperLib2.Direction.dLeftToRight;
        if (Dir1 === Dir2)
          return false;
        if (Dir1 === ClipperLib2.Direction.dLeftToRight) {
          while (op1.Next.Pt.X <= Pt.X && op1.Next.Pt.X >= op1.Pt.X && op1.Next.Pt.Y === Pt.Y)
            op1 = op1.Next;
          if (DiscardLeft && op1.Pt.X !== Pt.X)
            op1 = op1.Next;
          op1b = this.DupOutPt(op1, !DiscardLeft);
          if (ClipperLib2.IntPoint.op_Inequality(op1b.Pt, Pt)) {
            op1 = op1b;
            op1.Pt.X = Pt.X;
            op1.Pt.Y = Pt.Y;
            if (ClipperLib2.use_xyz) op1.Pt.Z = Pt.Z;
            op1b = this.DupOutPt(op1, !DiscardLeft);
          }
        } else {
          while (op1.Next.Pt.X >= Pt.X && op1.Next.Pt.X <= op1.Pt.X && op1.Next.Pt.Y === Pt.Y)
            op1 = op1.Next;
          if (!DiscardLeft && op1.Pt.X !== Pt.X)
            op1 = op1.Next;
          op1b = this.DupOutPt(op1, DiscardLeft);
          if (ClipperLib2.IntPoint.op_Inequality(op1b.Pt, Pt)) {
            op1 = op1b;
            op1.Pt.X = Pt.X;
            op1.Pt.Y = Pt.Y;
            if (ClipperLib2.use_xyz) op1.Pt.Z = Pt.Z;
            op1b = this.DupOutPt(op1, DiscardLeft);
          }
        }
        if (Dir2 === ClipperLib2.Direction.dLeftToRight) {
          while (op2.Next.Pt.X <= Pt.X && op2.Next.Pt.X >= op2.Pt.X && op2.Next.Pt.Y === Pt.Y)
            op2 = op2.Next;
          if (DiscardLeft && op2.Pt.X !== Pt.X)
            op2 = op2.Next;
          op2b = this.DupOutPt(op2, !DiscardLeft);
          if (ClipperLib2.IntPoint.op_Inequality(op2b.Pt, Pt)) {
            op2 = op2b;
            op2.Pt.X = Pt.X;
            op2.Pt.Y = Pt.Y;
            if (ClipperLib2.use_xyz) op2.Pt.Z = Pt.Z;
            op2b = this.DupOutPt(op2, !DiscardLeft);
          }
        } else {
          while (op2.Next.Pt.X >= Pt.X && op2.Next.Pt.X <= op2.Pt.X && op2.Next.Pt.Y === Pt.Y)
            op2 = op2.Next;
          if (!DiscardLeft && op2.Pt.X !== Pt.X)
            op2 = op2.Next;
          op2b = this.DupOutPt(op2, DiscardLeft);
          if (ClipperLib2.IntPoint.op_Inequality(op2b.Pt, Pt)) {
            op2 = op2b;
            op2.Pt.X = Pt.X;
            op2.Pt.Y = Pt.Y;
            if (ClipperLib2.use_xyz) op2.Pt.Z = Pt.Z;
            op2b = this.DupOutPt(op2, DiscardLeft);
          }
        }
        if (Dir1 === ClipperLib2.Direction.dLeftToRight === DiscardLeft) {
          op1.Prev = op2;
          op2.Next = op1;
          op1b.Next = op2b;
          op2b.Prev = op1b;
        } else {
          op1.Next = op2;
          op2.Prev = op1;
          op1b.Prev = op2b;
          op2b.Next = op1b;
        }
        return true;
      };
      ClipperLib2.Clipper.prototype.JoinPoints = function(j, outRec1, outRec2) {
        var op1 = j.OutPt1, op1b = new ClipperLib2.OutPt();
        var op2 = j.OutPt2, op2b = new ClipperLib2.OutPt();
        var isHorizontal = j.OutPt1.Pt.Y === j.OffPt.Y;
        if (isHorizontal && ClipperLib2.IntPoint.op_Equality(j.OffPt, j.OutPt1.Pt) && ClipperLib2.IntPoint.op_Equality(j.OffPt, j.OutPt2.Pt)) {
          if (outRec1 !== outRec2) return false;
          op1b = j.OutPt1.Next;
          while (op1b !== op1 && ClipperLib2.IntPoint.op_Equality(op1b.Pt, j.OffPt))
            op1b = op1b.Next;
          var reverse1 = op1b.Pt.Y > j.OffPt.Y;
          op2b = j.OutPt2.Next;
          while (op2b !== op2 && ClipperLib2.IntPoint.op_Equality(op2b.Pt, j.OffPt))
            op2b = op2b.Next;
          var reverse2 = op2b.Pt.Y > j.OffPt.Y;
          if (reverse1 === reverse2)
            return false;
          if (reverse1) {
            op1b = this.DupOutPt(op1, false);
            op2b = this.DupOutPt(op2, true);
            op1.Prev = op2;
            op2.Next = op1;
            op1b.Next = op2b;
            op2b.Prev = op1b;
            j.OutPt1 = op1;
            j.OutPt2 = op1b;
            return true;
          } else {
            op1b = this.DupOutPt(op1, true);
            op2b = this.DupOutPt(op2, false);
            op1.Next = op2;
            op2.Prev = op1;
            op1b.Prev = op2b;
            op2b.Next = op1b;
            j.OutPt1 = op1;
            j.OutPt2 = op1b;
            return true;
          }
        } else if (isHorizontal) {
          op1b = op1;
          while (op1.Prev.Pt.Y === op1.Pt.Y && op1.Prev !== op1b && op1.Prev !== op2)
            op1 = op1.Prev;
          while (op1b.Next.Pt.Y === op1b.Pt.Y && op1b.Next !== op1 && op1b.Next !== op2)
            op1b = op1b.Next;
          if (op1b.Next === op1 || op1b.Next === op2)
            return false;
          op2b = op2;
          while (op2.Prev.Pt.Y === op2.Pt.Y && op2.Prev !== op2b && op2.Prev !== op1b)
            op2 = op2.Prev;
          while (op2b.Next.Pt.Y === op2b.Pt.Y && op2b.Next !== op2 && op2b.Next !== op1)
            op2b = op2b.Next;
          if (op2b.Next === op2 || op2b.Next === op1)
            return false;
          var $val = {
            Left: null,
            Right: null
          };
          if (!this.GetOverlap(op1.Pt.X, op1b.Pt.X, op2.Pt.X, op2b.Pt.X, $val))
            return false;
          var Left = $val.Left;
          var Right = $val.Right;
          var Pt = new ClipperLib2.IntPoint0();
          var DiscardLeftSide;
          if (op1.Pt.X >= Left && op1.Pt.X <= Right) {
            Pt.X = op1.Pt.X;
            Pt.Y = op1.Pt.Y;
            if (ClipperLib2.use_xyz) Pt.Z = op1.Pt.Z;
            DiscardLeftSide = op1.Pt.X > op1b.Pt.X;
          } else if (op2.Pt.X >= Left && op2.Pt.X <= Right) {
            Pt.X = op2.Pt.X;
            Pt.Y = op2.Pt.Y;
            if (ClipperLib2.use_xyz) Pt.Z = op2.Pt.Z;
            DiscardLeftSide = op2.Pt.X > op2b.Pt.X;
          } else if (op1b.Pt.X >= Left && op1b.Pt.X <= Right) {
            Pt.X = op1b.Pt.X;
            Pt.Y = op1b.Pt.Y;
            if (ClipperLib2.use_xyz) Pt.Z = op1b.Pt.Z;
            DiscardLeftSide = op1b.Pt.X > op1.Pt.X;
          } else {
            Pt.X = op2b.Pt.X;
            Pt.Y = op2b.Pt.Y;
            if (ClipperLib2.use_xyz) Pt.Z = op2b.Pt.Z;
            DiscardLeftSide = op2b.Pt.X > op2.Pt.X;
          }
          j.OutPt1 = op1;
          j.OutPt2 = op2;
          return this.JoinHorz(op1, op1b, op2, op2b, Pt, DiscardLeftSide);
        } else {
          op1b = op1.Next;
          while (ClipperLib2.IntPoint.op_Equality(op1b.Pt, op1.Pt) && op1b !== op1)
            op1b = op1b.Next;
          var Reverse1 = op1b.Pt.Y > op1.Pt.Y || !ClipperLib2.ClipperBase.SlopesEqual4(op1.Pt, op1b.Pt, j.OffPt, this.m_UseFullRange);
          if (Reverse1) {
            op1b = op1.Prev;
            while (ClipperLib2.IntPoint.op_Equality(op1b.Pt, op1.Pt) && op1b !== op1)
              op1b = op1b.Prev;
            if (op1b.Pt.Y > op1.Pt.Y || !ClipperLib2.ClipperBase.SlopesEqual4(op1.Pt, op1b.Pt, j.OffPt, this.m_UseFullRange))
              return false;
          }
          op2b = op2.Next;
          while (ClipperLib2.IntPoint.op_Equality(op2b.Pt, op2.Pt) && op2b !== op2)
            op2b = op2b.Next;
          var Reverse2 = op2b.Pt.Y > op2.Pt.Y || !ClipperLib2.ClipperBase.SlopesEqual4(op2.Pt, op2b.Pt, j.OffPt, this.m_UseFullRange);
          if (Reverse2) {
            op2b = op2.Prev;
            while (ClipperLib2.IntPoint.op_Equality(op2b.Pt, op2.Pt) && op2b !== op2)
              op2b = op2b.Prev;
            if (op2b.Pt.Y > op2.Pt.Y || !ClipperLib2.ClipperBase.SlopesEqual4(op2.Pt, op2b.Pt, j.OffPt, this.m_UseFullRange))
              return false;
          }
          if (op1b === op1 || op2b === op2 || op1b === op2b || outRec1 === outRec2 && Reverse1 === Reverse2)
            return false;
          if (Reverse1) {
            op1b = this.DupOutPt(op1, false);
            op2b = this.DupOutPt(op2, true);
            op1.Prev = op2;
            op2.Next = op1;
            op1b.Next = op2b;
            op2b.Prev = op1b;
            j.OutPt1 = op1;
            j.OutPt2 = op1b;
            return true;
          } else {
            op1b = this.DupOutPt(op1, true);
            op2b = this.DupOutPt(op2, false);
            op1.Next = op2;
            op2.Prev = op1;
            op1b.Prev = op2b;
            op2b.Next = op1b;
            j.OutPt1 = op1;
            j.OutPt2 = op1b;
            return true;
          }
        }
      };
      ClipperLib2.Clipper.GetBounds = function(paths) {
        var i = 0, cnt = paths.length;
        while (i < cnt && paths[i].length === 0) i++;
        if (i === cnt) return new ClipperLib2.IntRect(0, 0, 0, 0);
        var result = new ClipperLib2.IntRect();
        result.left = paths[i][0].X;
        result.right = result.left;
        result.top = paths[i][0].Y;
        result.bottom = result.top;
        for (; i < cnt; i++)
          for (var j = 0, jlen = paths[i].length; j < jlen; j++) {
            if (paths[i][j].X < result.left) result.left = paths[i][j].X;
            else if (paths[i][j].X > result.right) result.right = paths[i][j].X;
            if (paths[i][j].Y < result.top) result.top = paths[i][j].Y;
            else if (paths[i][j].Y > result.bottom) result.bottom = paths[i][j].Y;
          }
        return result;
      };
      ClipperLib2.Clipper.prototype.GetBounds2 = function(ops) {
        var opStart = ops;
        var result = new ClipperLib2.IntRect();
        result.left = ops.Pt.X;
        result.right = ops.Pt.X;
        result.top = ops.Pt.Y;
        result.bottom = ops.Pt.Y;
        ops = ops.Next;
        while (ops !== opStart) {
          if (ops.Pt.X < result.left)
            result.left = ops.Pt.X;
          if (ops.Pt.X > result.right)
            result.right = ops.Pt.X;
          if (ops.Pt.Y < result.top)
            result.top = ops.Pt.Y;
          if (ops.Pt.Y > result.bottom)
            result.bottom = ops.Pt.Y;
          ops = ops.Next;
        }
        return result;
      };
      ClipperLib2.Clipper.PointInPolygon = function(pt, path) {
        var result = 0, cnt = path.length;
        if (cnt < 3)
          return 0;
        var ip = path[0];
        for (var i = 1; i <= cnt; ++i) {
          var ipNext = i === cnt ? path[0] : path[i];
          if (ipNext.Y === pt.Y) {
            if (ipNext.X === pt.X || ip.Y === pt.Y && ipNext.X > pt.X === ip.X < pt.X)
              return -1;
          }
          if (ip.Y < pt.Y !== ipNext.Y < pt.Y) {
            if (ip.X >= pt.X) {
              if (ipNext.X > pt.X)
                result = 1 - result;
              else {
                var d = (ip.X - pt.X) * (ipNext.Y - pt.Y) - (ipNext.X - pt.X) * (ip.Y - pt.Y);
                if (d === 0)
                  return -1;
                else if (d > 0 === ipNext.Y > ip.Y)
                  result = 1 - result;
              }
            } else {
              if (ipNext.X > pt.X) {
                var d = (ip.X - pt.X) * (ipNext.Y - pt.Y) - (ipNext.X - pt.X) * (ip.Y - pt.Y);
                if (d === 0)
                  return -1;
                else if (d > 0 === ipNext.Y > ip.Y)
                  result = 1 - result;
              }
            }
          }
          ip = ipNext;
        }
        return result;
      };
      ClipperLib2.Clipper.prototype.PointInPolygon = function(pt, op) {
        var result = 0;
        var startOp = op;
        var ptx = pt.X, pty = pt.Y;
        var poly0x = op.Pt.X, poly0y = op.Pt.Y;
        do {
          op = op.Next;
          var poly1x = op.Pt.X, poly1y = op.Pt.Y;
          if (poly1y === pty) {
            if (poly1x === ptx || poly0y === pty && poly1x > ptx === poly0x < ptx)
              return -1;
          }
          if (poly0y < pty !== poly1y < pty) {
            if (poly0x >= ptx) {
              if (poly1x > ptx)
                result = 1 - result;
              else {
                var d = (poly0x - ptx) * (poly1y - pty) - (poly1x - ptx) * (poly0y - pty);
                if (d === 0)
                  return -1;
                if (d > 0 === poly1y > poly0y)
                  result = 1 - result;
              }
            } else {
              if (poly1x > ptx) {
                var d = (poly0x - ptx) * (poly1y - pty) - (poly1x - ptx) * (poly0y - pty);
                if (d === 0)
                  return -1;
                if (d > 0 === poly1y > poly0y)
                  result = 1 - result;
              }
            }
          }
          poly0x = poly1x;
          poly0y = poly1y;
        } while (startOp !== op);
        return result;
      };
      ClipperLib2.Clipper.prototype.Poly2ContainsPoly1 = function(outPt1, outPt2) {
        var op = outPt1;
        do {
          var res = this.PointInPolygon(op.Pt, outPt2);
          if (res >= 0)
            return res > 0;
          op = op.Next;
        } while (op !== outPt1);
        return true;
      };
      ClipperLib2.Clipper.prototype.FixupFirstLefts1 = function(OldOutRec, NewOutRec) {
        var outRec, firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          firstLeft = ClipperLib2.Clipper.ParseFirstLeft(outRec.FirstLeft);
          if (outRec.Pts !== null && firstLeft === OldOutRec) {
            if (this.Poly2ContainsPoly1(outRec.Pts, NewOutRec.Pts))
              outRec.FirstLeft = NewOutRec;
          }
        }
      };
      ClipperLib2.Clipper.prototype.FixupFirstLefts2 = function(innerOutRec, outerOutRec) {
        var orfl = outerOutRec.FirstLeft;
        var outRec, firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          if (outRec.Pts === null || outRec === outerOutRec || outRec === innerOutRec)
            continue;
          firstLeft = ClipperLib2.Clipper.ParseFirstLeft(outRec.FirstLeft);
          if (firstLeft !== orfl && firstLeft !== innerOutRec && firstLeft !== outerOutRec)
            continue;
          if (this.Poly2ContainsPoly1(outRec.Pts, innerOutRec.Pts))
            outRec.FirstLeft = innerOutRec;
          else if (this.Poly2ContainsPoly1(outRec.Pts, outerOutRec.Pts))
            outRec.FirstLeft = outerOutRec;
          else if (outRec.FirstLeft === innerOutRec || outRec.FirstLeft === outerOutRec)
            outRec.FirstLeft = orfl;
        }
      };
      ClipperLib2.Clipper.prototype.FixupFirstLefts3 = function(OldOutRec, NewOutRec) {
        var outRec;
        var firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          firstLeft = ClipperLib2.Clipper.ParseFirstLeft(outRec.FirstLeft);
          if (outRec.Pts !== null && firstLeft === OldOutRec)
            outRec.FirstLeft = NewOutRec;
        }
      };
      ClipperLib2.Clipper.ParseFirstLeft = function(FirstLeft) {
        while (FirstLeft !== null && FirstLeft.Pts === null)
          FirstLeft = FirstLeft.FirstLeft;
        return FirstLeft;
      };
      ClipperLib2.Clipper.prototype.JoinCommonEdges = function() {
        for (var i = 0, ilen = this.m_Joins.length; i < ilen; i++) {
          var join = this.m_Joins[i];
          var outRec1 = this.GetOutRec(join.OutPt1.Idx);
          var outRec2 = this.GetOutRec(join.OutPt2.Idx);
          if (outRec1.Pts === null || outRec2.Pts === null)
            continue;
          if (outRec1.IsOpen || outRec2.IsOpen) {
            continue;
          }
          var holeStateRec;
          if (outRec1 === outRec2)
            holeStateRec = outRec1;
          else if (this.OutRec1RightOfOutRec2(outRec1, outRec2))
            holeStateRec = outRec2;
          else if (this.OutRec1RightOfOutRec2(outRec2, outRec1))
            holeStateRec = outRec1;
          else
            holeStateRec = this.GetLowermostRec(outRec1, outRec2);
          if (!this.JoinPoints(join, outRec1, outRec2)) continue;
          if (outRec1 === outRec2) {
            outRec1.Pts = join.OutPt1;
            outRec1.BottomPt = null;
            outRec2 = this.CreateOutRec();
            outRec2.Pts = join.OutPt2;
            this.UpdateOutPtIdxs(outRec2);
            if (this.Poly2ContainsPoly1(outRec2.Pts, outRec1.Pts)) {
              outRec2.IsHole = !outRec1.IsHole;
              outRec2.FirstLeft = outRec1;
              if (this.m_UsingPolyTree)
                this.FixupFirstLefts2(outRec2, outRec1);
              if ((outRec2.IsHole ^ this.ReverseSolution) == this.Area$1(outRec2) > 0)
                this.ReversePolyPtLinks(outRec2.Pts);
            } else if (this.Poly2ContainsPoly1(outRec1.Pts, outRec2.Pts)) {
              outRec2.IsHole = outRec1.IsHole;
              outRec1.IsHole = !outRec2.IsHole;
              outRec2.FirstLeft = outRec1.FirstLeft;
              outRec1.FirstLeft = outRec2;
              if (this.m_UsingPolyTree)
                this.FixupFirstLefts2(outRec1, outRec2);
              if ((outRec1.IsHole ^ this.ReverseSolution) == this.Area$1(outRec1) > 0)
                this.ReversePolyPtLinks(outRec1.Pts);
            } else {
              outRec2.IsHole = outRec1.IsHole;
              outRec2.FirstLeft = outRec1.FirstLeft;
              if (this.m_UsingPolyTree)
                this.FixupFirstLefts1(outRec1, outRec2);
            }
          } else {
            outRec2.Pts = null;
            outRec2.BottomPt = null;
            outRec2.Idx = outRec1.Idx;
            outRec1.IsHole = holeStateRec.IsHole;
            if (holeStateRec === outRec2)
              outRec1.FirstLeft = outRec2.FirstLeft;
            outRec2.FirstLeft = outRec1;
            if (this.m_UsingPolyTree)
              this.FixupFirstLefts3(outRec2, outRec1);
          }
        }
      };
      ClipperLib2.Clipper.prototype.UpdateOutPtIdxs = function(outrec) {
        var op = outrec.Pts;
        do {
          op.Idx = outrec.Idx;
          op = op.Prev;
        } while (op !== outrec.Pts);
      };
      ClipperLib2.Clipper.prototype.DoSimplePolygons = function() {
        var i = 0;
        while (i < this.m_PolyOuts.length) {
          var outrec = this.m_PolyOuts[i++];
          var op = outrec.Pts;
          if (op === null || outrec.IsOpen)
            continue;
          do {
            var op2 = op.Next;
            while (op2 !== outrec.Pts) {
              if (ClipperLib2.IntPoint.op_Equality(op.Pt, op2.Pt) && op2.Next !== op && op2.Prev !== op) {
                var op3 = op.Prev;
                var op4 = op2.Prev;
                op.Prev = op4;
                op4.Next = op;
                op2.Prev = op3;
                op3.Next = op2;
                outrec.Pts = op;
                var outrec2 = this.CreateOutRec();
                outrec2.Pts = op2;
                this.UpdateOutPtIdxs(outrec2);
                if (this.Poly2ContainsPoly1(outrec2.Pts, outrec.Pts)) {
                  outrec2.IsHole = !outrec.IsHole;
                  outrec2.FirstLeft = outrec;
                  if (this.m_UsingPolyTree) this.FixupFirstLefts2(outrec2, outrec);
                } else if (this.Poly2ContainsPoly1(outrec.Pts, outrec2.Pts)) {
                  outrec2.IsHole = outrec.IsHole;
                  outrec.IsHole = !outrec2.IsHole;
                  outrec2.FirstLeft = outrec.FirstLeft;
                  outrec.FirstLeft = outrec2;
                  if (this.m_UsingPolyTree) this.FixupFirstLefts2(outrec, outrec2);
                } else {
                  outrec2.IsHole = outrec.IsHole;
                  outrec2.FirstLeft = outrec.FirstLeft;
                  if (this.m_UsingPolyTree) this.FixupFirstLefts1(outrec, outrec2);
                }
                op2 = op;
              }
              op2 = op2.Next;
            }
            op = op.Next;
          } while (op !== outrec.Pts);
        }
      };
      ClipperLib2.Clipper.Area = function(poly) {
        if (!Array.isArray(poly))
          return 0;
        var cnt = poly.length;
        if (cnt < 3)
          return 0;
        var a = 0;
        for (var i = 0, j = cnt - 1; i < cnt; ++i) {
          a += (poly[j].X + poly[i].X) * (poly[j].Y - poly[i].Y);
          j = i;
        }
        return -a * 0.5;
      };
      ClipperLib2.Clipper.prototype.Area = function(op) {
        var opFirst = op;
        if (op === null) return 0;
        var a = 0;
        do {
          a = a + (op.Prev.Pt.X + op.Pt.X) * (op.Prev.Pt.Y - op.Pt.Y);
          op = op.Next;
        } while (op !== opFirst);
        return a * 0.5;
      };
      ClipperLib2.Clipper.prototype.Area$1 = function(outRec) {
        return this.Area(outRec.Pts);
      };
      ClipperLib2.Clipper.SimplifyPolygon = function(poly, fillType) {
        var result = new Array();
        var c = new ClipperLib2.Clipper(0);
        c.StrictlySimple = true;
        c.AddPath(poly, ClipperLib2.PolyType.ptSubject, true);
        c.Execute(ClipperLib2.ClipType.ctUnion, result, fillType, fillType);
        return result;
      };
      ClipperLib2.Clipper.SimplifyPolygons = function(polys, fillType) {
        if (typeof fillType === "undefined") fillType = ClipperLib2.PolyFillType.pftEvenOdd;
        var result = new Array();
        var c = new ClipperLib2.Clipper(0);
        c.StrictlySimple = true;
        c.AddPaths(polys, ClipperLib2.PolyType.ptSubject, true);
        c.Execute(ClipperLib2.ClipType.ctUnion, result, fillType, fillType);
        return result;
      };
      ClipperLib2.Clipper.DistanceSqrd = function(pt1, pt2) {
        var dx = pt1.X - pt2.X;
        var dy = pt1.Y - pt2.Y;
        return dx * dx + dy * dy;
      };
      ClipperLib2.Clipper.DistanceFromLineSqrd = function(pt, ln1, ln2) {
        var A = ln1.Y - ln2.Y;
        var B = ln2.X - ln1.X;
        var C = A * ln1.X + B * ln1.Y;
        C = A * pt.X + B * pt.Y - C;
        return C * C / (A * A + B * B);
      };
      ClipperLib2.Clipper.SlopesNearCollinear = function(pt1, pt2, pt3, distSqrd) {
        if (Math.abs(pt1.X - pt2.X) > Math.abs(pt1.Y - pt2.Y)) {
          if (pt1.X > pt2.X === pt1.X < pt3.X)
            return ClipperLib2.Clipper.DistanceFromLineSqrd(pt1, pt2, pt3) < distSqrd;
          else if (pt2.X > pt1.X === pt2.X < pt3.X)
            return ClipperLib2.Clipper.DistanceFromLineSqrd(pt2, pt1, pt3) < distSqrd;
          else
            return ClipperLib2.Clipper.DistanceFromLineSqrd(pt3, pt1, pt2) < distSqrd;
        } else {
          if (pt1.Y > pt2.Y === pt1.Y < pt3.Y)
            return ClipperLib2.Clipper.DistanceFromLineSqrd(pt1, pt2, pt3) < distSqrd;
          else if (pt2.Y > pt1.Y === pt2.Y < pt3.Y)
            return ClipperLib2.Clipper.DistanceFromLineSqrd(pt2, pt1, pt3) < distSqrd;
          else
            return ClipperLib2.Clipper.DistanceFromLineSqrd(pt3, pt1, pt2) < distSqrd;
        }
      };
      ClipperLib2.Clipper.PointsAreClose = function(pt1, pt2, distSqrd) {
        var dx = pt1.X - pt2.X;
        var dy = pt1.Y - pt2.Y;
        return dx * dx + dy * dy <= distSqrd;
      };
      ClipperLib2.Clipper.ExcludeOp = function(op) {
        var result = op.Prev;
        result.Next = op.Next;
        op.Next.Prev = result;
        result.Idx = 0;
        return result;
      };
      ClipperLib2.Clipper.CleanPolygon = function(path, distance) {
        if (typeof distance === "undefined") distance = 1.415;
        var cnt = path.length;
        if (cnt === 0)
          return new Array();
        var outPts = new Array(cnt);
        for (var i = 0; i < cnt; ++i)
          outPts[i] = new ClipperLib2.OutPt();
        for (var i = 0; i < cnt; ++i) {
          outPts[i].Pt = path[i];
          outPts[i].Next = outPts[(i + 1) % cnt];
          outPts[i].Next.Prev = outPts[i];
          outPts[i].Idx = 0;
        }
        var distSqrd = distance * distance;
        var op = outPts[0];
        while (op.Idx === 0 && op.Next !== op.Prev) {
          if (ClipperLib2.Clipper.PointsAreClose(op.Pt, op.Prev.Pt, distSqrd)) {
            op = ClipperLib2.Clipper.ExcludeOp(op);
            cnt--;
          } else if (ClipperLib2.Clipper.PointsAreClose(op.Prev.Pt, op.Next.Pt, distSqrd)) {
            ClipperLib2.Clipper.ExcludeOp(op.Next);
            op = ClipperLib2.Clipper.ExcludeOp(op);
            cnt -= 2;
          } else if (ClipperLib2.Clipper.SlopesNearCollinear(op.Prev.Pt, op.Pt, op.Next.Pt, distSqrd)) {
            op = ClipperLib2.Clipper.ExcludeOp(op);
            cnt--;
          } else {
            op.Idx = 1;
            op = op.Next;
          }
        }
        if (cnt < 3)
          cnt = 0;
        var result = new Array(cnt);
        for (var i = 0; i < cnt; ++i) {
          result[i] = new ClipperLib2.IntPoint1(op.Pt);
          op = op.Next;
        }
        outPts = null;
        return result;
      };
      ClipperLib2.Clipper.CleanPolygons = function(polys, distance) {
        var result = new Array(polys.length);
        for (var i = 0, ilen = polys.length; i < ilen; i++)
          result[i] = ClipperLib2.Clipper.CleanPolygon(polys[i], distance);
        return result;
      };
      ClipperLib2.Clipper.Minkowski = function(pattern, path, IsSum, IsClosed) {
        var delta = IsClosed ? 1 : 0;
        var polyCnt = pattern.length;
        var pathCnt = path.length;
        var result = new Array();
        if (IsSum)
          for (var i = 0; i < pathCnt; i++) {
            var p = new Array(polyCnt);
            for (var j = 0, jlen = pattern.length, ip = pattern[j]; j < jlen; j++, ip = pattern[j])
              p[j] = new ClipperLib2.IntPoint2(path[i].X + ip.X, path[i].Y + ip.Y);
            result.push(p);
          }
        else
          for (var i = 0; i < pathCnt; i++) {
            var p = new Array(polyCnt);
            for (var j = 0, jlen = pattern.length, ip = pattern[j]; j < jlen; j++, ip = pattern[j])
              p[j] = new ClipperLib2.IntPoint2(path[i].X - ip.X, path[i].Y - ip.Y);
            result.push(p);
          }
        var quads = new Array();
        for (var i = 0; i < pathCnt - 1 + delta; i++)
          for (var j = 0; j < polyCnt; j++) {
            var quad = new Array();
            quad.push(result[i % pathCnt][j % polyCnt]);
            quad.push(result[(i + 1) % pathCnt][j % polyCnt]);
            quad.push(result[(i + 1) % pathCnt][(j + 1) % polyCnt]);
            quad.push(result[i % pathCnt][(j + 1) % polyCnt]);
            if (!ClipperLib2.Clipper.Orientation(quad))
              quad.reverse();
            quads.push(quad);
          }
        return quads;
      };
      ClipperLib2.Clipper.MinkowskiSum = function(pattern, path_or_paths, pathIsClosed) {
        if (!(path_or_paths[0] instanceof Array)) {
          var path = path_or_paths;
          var paths = ClipperLib2.Clipper.Minkowski(pattern, path, true, pathIsClosed);
          var c = new ClipperLib2.Clipper();
          c.AddPaths(paths, ClipperLib2.PolyType.ptSubject, true);
          c.Execute(ClipperLib2.ClipType.ctUnion, paths, ClipperLib2.PolyFillType.pftNonZero, ClipperLib2.PolyFillType.pftNonZero);
          return paths;
        } else {
          var paths = path_or_paths;
          var solution = new ClipperLib2.Paths();
          var c = new ClipperLib2.Clipper();
          for (var i = 0; i < paths.length; ++i) {
            var tmp = ClipperLib2.Clipper.Minkowski(pattern, paths[i], true, pathIsClosed);
            c.AddPaths(tmp, ClipperLib2.PolyType.ptSubject, true);
            if (pathIsClosed) {
              var path = ClipperLib2.Clipper.TranslatePath(paths[i], pattern[0]);
              c.AddPath(path, ClipperLib2.PolyType.ptClip, true);
            }
          }
          c.Execute(
            ClipperLib2.ClipType.ctUnion,
            solution,
            ClipperLib2.PolyFillType.pftNonZero,
            ClipperLib2.PolyFillType.pftNonZero
          );
          return solution;
        }
      };
      ClipperLib2.Clipper.TranslatePath = function(path, delta) {
        var outPath = new ClipperLib2.Path();
        for (var i = 0; i < path.length; i++)
          outPath.push(new ClipperLib2.IntPoint2(path[i].X + delta.X, path[i].Y + delta.Y));
        return outPath;
      };
      ClipperLib2.Clipper.MinkowskiDiff = function(poly1, poly2) {
        var paths = ClipperLib2.Clipper.Minkowski(poly1, poly2, false, true);
        var c = new ClipperLib2.Clipper();
        c.AddPaths(paths, ClipperLib2.PolyType.ptSubject, true);
        c.Execute(ClipperLib2.ClipType.ctUnion, paths, ClipperLib2.PolyFillType.pftNonZero, ClipperLib2.PolyFillType.pftNonZero);
        return paths;
      };
      ClipperLib2.Clipper.PolyTreeToPaths = function(polytree) {
        var result = new Array();
        ClipperLib2.Clipper.AddPolyNodeToPaths(polytree, ClipperLib2.Clipper.NodeType.ntAny, result);
        return result;
      };
      ClipperLib2.Clipper.AddPolyNodeToPaths = function(polynode, nt, paths) {
        var match2 = true;
        switch (nt) {
          case ClipperLib2.Clipper.NodeType.ntOpen:
            return;
          case ClipperLib2.Clipper.NodeType.ntClosed:
            match2 = !polynode.IsOpen;
            break;
          default:
            break;
        }
        if (polynode.m_polygon.length > 0 && match2)
          paths.push(polynode.m_polygon);
        for (var $i3 = 0, $t3 = polynode.Childs(), $l3 = $t3.length, pn = $t3[$i3]; $i3 < $l3; $i3++, pn = $t3[$i3])
          ClipperLib2.Clipper.AddPolyNodeToPaths(pn, nt, paths);
      };
      ClipperLib2.Clipper.OpenPathsFromPolyTree = function(polytree) {
        var result = new ClipperLib2.Paths();
        for (var i = 0, ilen = polytree.ChildCount(); i < ilen; i++)
          if (polytree.Childs()[i].IsOpen)
            result.push(polytree.Childs()[i].m_polygon);
        return result;
      };
      ClipperLib2.Clipper.ClosedPathsFromPolyTree = function(polytree) {
        var result = new ClipperLib2.Paths();
        ClipperLib2.Clipper.AddPolyNodeToPaths(polytree, ClipperLib2.Clipper.NodeType.ntClosed, result);
        return result;
      };
      Inherit(ClipperLib2.Clipper, ClipperLib2.ClipperBase);
      ClipperLib2.Clipper.NodeType = {
        ntAny: 0,
        ntOpen: 1,
        ntClosed: 2
      };
      ClipperLib2.ClipperOffset = function(miterLimit, arcTolerance) {
        if (typeof miterLimit === "undefined") miterLimit = 2;
        if (typeof arcTolerance === "undefined") arcTolerance = ClipperLib2.ClipperOffset.def_arc_tolerance;
        this.m_destPolys = new ClipperLib2.Paths();
        this.m_srcPoly = new ClipperLib2.Path();
        this.m_destPoly = new ClipperLib2.Path();
        this.m_normals = new Array();
        this.m_delta = 0;
        this.m_sinA = 0;
        this.m_sin = 0;
        this.m_cos = 0;
        this.m_miterLim = 0;
        this.m_StepsPerRad = 0;
        this.m_lowest = new ClipperLib2.IntPoint0();
        this.m_polyNodes = new ClipperLib2.PolyNode();
        this.MiterLimit = miterLimit;
        this.ArcTolerance = arcTolerance;
        this.m_lowest.X = -1;
      };
      ClipperLib2.ClipperOffset.two_pi = 6.28318530717959;
      ClipperLib2.ClipperOffset.def_arc_tolerance = 0.25;
      ClipperLib2.ClipperOffset.prototype.Clear = function() {
        ClipperLib2.Clear(this.m_polyNodes.Childs());
        this.m_lowest.X = -1;
      };
      ClipperLib2.ClipperOffset.Round = ClipperLib2.Clipper.Round;
      ClipperLib2.ClipperOffset.prototype.AddPath = function(path, joinType, endType) {
        var highI = path.length - 1;
        if (highI < 0)
          return;
        var newNode = new ClipperLib2.PolyNode();
        newNode.m_jointype = joinType;
        newNode.m_endtype = endType;
        if (endType === ClipperLib2.EndType.etClosedLine || endType === ClipperLib2.EndType.etClosedPolygon)
          while (highI > 0 && ClipperLib2.IntPoint.op_Equality(path[0], path[highI]))
            highI--;
        newNode.m_polygon.push(path[0]);
        var j = 0, k = 0;
        for (var i = 1; i <= highI; i++)
          if (ClipperLib2.IntPoint.op_Inequality(newNode.m_polygon[j], path[i])) {
            j++;
            newNode.m_polygon.push(path[i]);
            if (path[i].Y > newNode.m_polygon[k].Y || path[i].Y === newNode.m_polygon[k].Y && path[i].X < newNode.m_polygon[k].X)
              k = j;
          }
        if (endType === ClipperLib2.EndType.etClosedPolygon && j < 2) return;
        this.m_polyNodes.AddChild(newNode);
        if (endType !== ClipperLib2.EndType.etClosedPolygon)
          return;
        if (this.m_lowest.X < 0)
          this.m_lowest = new ClipperLib2.IntPoint2(this.m_polyNodes.ChildCount() - 1, k);
        else {
          var ip = this.m_polyNodes.Childs()[this.m_lowest.X].m_polygon[this.m_lowest.Y];
          if (newNode.m_polygon[k].Y > ip.Y || newNode.m_polygon[k].Y === ip.Y && newNode.m_polygon[k].X < ip.X)
            this.m_lowest = new ClipperLib2.IntPoint2(this.m_polyNodes.ChildCount() - 1, k);
        }
      };
      ClipperLib2.ClipperOffset.prototype.AddPaths = function(paths, joinType, endType) {
        for (var i = 0, ilen = paths.length; i < ilen; i++)
          this.AddPath(paths[i], joinType, endType);
      };
      ClipperLib2.ClipperOffset.prototype.FixOrientations = function() {
        if (this.m_lowest.X >= 0 && !ClipperLib2.Clipper.Orientation(this.m_polyNodes.Childs()[this.m_lowest.X].m_polygon)) {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib2.EndType.etClosedPolygon || node.m_endtype === ClipperLib2.EndType.etClosedLine && ClipperLib2.Clipper.Orientation(node.m_polygon))
              node.m_polygon.reverse();
          }
        } else {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib2.EndType.etClosedLine && !ClipperLib2.Clipper.Orientation(node.m_polygon))
              node.m_polygon.reverse();
          }
        }
      };
      ClipperLib2.ClipperOffset.GetUnitNormal = function(pt1, pt2) {
        var dx = pt2.X - pt1.X;
        var dy = pt2.Y - pt1.Y;
        if (dx === 0 && dy === 0)
          return new ClipperLib2.DoublePoint2(0, 0);
        var f = 1 / Math.sqrt(dx * dx + dy * dy);
        dx *= f;
        dy *= f;
        return new ClipperLib2.DoublePoint2(dy, -dx);
      };
      ClipperLib2.ClipperOffset.prototype.DoOffset = function(delta) {
        this.m_destPolys = new Array();
        this.m_delta = delta;
        if (ClipperLib2.ClipperBase.near_zero(delta)) {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib2.EndType.etClosedPolygon)
              this.m_destPolys.push(node.m_polygon);
          }
          return;
        }
        if (this.MiterLimit > 2)
          this.m_miterLim = 2 / (this.MiterLimit * this.MiterLimit);
        else
          this.m_miterLim = 0.5;
        var y;
        if (this.ArcTolerance <= 0)
          y = ClipperLib2.ClipperOffset.def_arc_tolerance;
        else if (this.ArcTolerance > Math.abs(delta) * ClipperLib2.ClipperOffset.def_arc_tolerance)
          y = Math.abs(delta) * ClipperLib2.ClipperOffset.def_arc_tolerance;
        else
          y = this.ArcTolerance;
        var steps = 3.14159265358979 / Math.acos(1 - y / Math.abs(delta));
        this.m_sin = Math.sin(ClipperLib2.ClipperOffset.two_pi / steps);
        this.m_cos = Math.cos(ClipperLib2.ClipperOffset.two_pi / steps);
        this.m_StepsPerRad = steps / ClipperLib2.ClipperOffset.two_pi;
        if (delta < 0)
          this.m_sin = -this.m_sin;
        for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
          var node = this.m_polyNodes.Childs()[i];
          this.m_srcPoly = node.m_polygon;
          var len = this.m_srcPoly.length;
          if (len === 0 || delta <= 0 && (len < 3 || node.m_endtype !== ClipperLib2.EndType.etClosedPolygon))
            continue;
          this.m_destPoly = new Array();
          if (len === 1) {
            if (node.m_jointype === ClipperLib2.JoinType.jtRound) {
              var X = 1, Y = 0;
              for (var j = 1; j <= steps; j++) {
                this.m_destPoly.push(new ClipperLib2.IntPoint2(ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].X + X * delta), ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].Y + Y * delta)));
                var X2 = X;
                X = X * this.m_cos - this.m_sin * Y;
                Y = X2 * this.m_sin + Y * this.m_cos;
              }
            } else {
              var X = -1, Y = -1;
              for (var j = 0; j < 4; ++j) {
                this.m_destPoly.push(new ClipperLib2.IntPoint2(ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].X + X * delta), ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].Y + Y * delta)));
                if (X < 0)
                  X = 1;
                else if (Y < 0)
                  Y = 1;
                else
                  X = -1;
              }
            }
            this.m_destPolys.push(this.m_destPoly);
            continue;
          }
          this.m_normals.length = 0;
          for (var j = 0; j < len - 1; j++)
            this.m_normals.push(ClipperLib2.ClipperOffset.GetUnitNormal(this.m_srcPoly[j], this.m_srcPoly[j + 1]));
          if (node.m_endtype === ClipperLib2.EndType.etClosedLine || node.m_endtype === ClipperLib2.EndType.etClosedPolygon)
            this.m_normals.push(ClipperLib2.ClipperOffset.GetUnitNormal(this.m_srcPoly[len - 1], this.m_srcPoly[0]));
          else
            this.m_normals.push(new ClipperLib2.DoublePoint1(this.m_normals[len - 2]));
          if (node.m_endtype === ClipperLib2.EndType.etClosedPolygon) {
            var k = len - 1;
            for (var j = 0; j < len; j++)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
          } else if (node.m_endtype === ClipperLib2.EndType.etClosedLine) {
            var k = len - 1;
            for (var j = 0; j < len; j++)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
            this.m_destPoly = new Array();
            var n = this.m_normals[len - 1];
            for (var j = len - 1; j > 0; j--)
              this.m_normals[j] = new ClipperLib2.DoublePoint2(-this.m_normals[j - 1].X, -this.m_normals[j - 1].Y);
            this.m_normals[0] = new ClipperLib2.DoublePoint2(-n.X, -n.Y);
            k = 0;
            for (var j = len - 1; j >= 0; j--)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
          } else {
            var k = 0;
            for (var j = 1; j < len - 1; ++j)
              k = this.OffsetPoint(j, k, node.m_jointype);
            var pt1;
            if (node.m_endtype === ClipperLib2.EndType.etOpenButt) {
              var j = len - 1;
              pt1 = new ClipperLib2.IntPoint2(ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * delta), ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * delta));
              this.m_destPoly.push(pt1);
              pt1 = new ClipperLib2.IntPoint2(ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X - this.m_normals[j].X * delta), ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y - this.m_normals[j].Y * delta));
              this.m_destPoly.push(pt1);
            } else {
              var j = len - 1;
              k = len - 2;
              this.m_sinA = 0;
              this.m_normals[j] = new ClipperLib2.DoublePoint2(-this.m_normals[j].X, -this.m_normals[j].Y);
              if (node.m_endtype === ClipperLib2.EndType.etOpenSquare)
                this.DoSquare(j, k);
              else
                this.DoRound(j, k);
            }
            for (var j = len - 1; j > 0; j--)
              this.m_normals[j] = new ClipperLib2.DoublePoint2(-this.m_normals[j - 1].X, -this.m_normals[j - 1].Y);
            this.m_normals[0] = new ClipperLib2.DoublePoint2(-this.m_normals[1].X, -this.m_normals[1].Y);
            k = len - 1;
            for (var j = k - 1; j > 0; --j)
              k = this.OffsetPoint(j, k, node.m_jointype);
            if (node.m_endtype === ClipperLib2.EndType.etOpenButt) {
              pt1 = new ClipperLib2.IntPoint2(ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].X - this.m_normals[0].X * delta), ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].Y - this.m_normals[0].Y * delta));
              this.m_destPoly.push(pt1);
              pt1 = new ClipperLib2.IntPoint2(ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].X + this.m_normals[0].X * delta), ClipperLib2.ClipperOffset.Round(this.m_srcPoly[0].Y + this.m_normals[0].Y * delta));
              this.m_destPoly.push(pt1);
            } else {
              k = 1;
              this.m_sinA = 0;
              if (node.m_endtype === ClipperLib2.EndType.etOpenSquare)
                this.DoSquare(0, 1);
              else
                this.DoRound(0, 1);
            }
            this.m_destPolys.push(this.m_destPoly);
          }
        }
      };
      ClipperLib2.ClipperOffset.prototype.Execute = function() {
        var a = arguments, ispolytree = a[0] instanceof ClipperLib2.PolyTree;
        if (!ispolytree) {
          var solution = a[0], delta = a[1];
          ClipperLib2.Clear(solution);
          this.FixOrientations();
          this.DoOffset(delta);
          var clpr = new ClipperLib2.Clipper(0);
          clpr.AddPaths(this.m_destPolys, ClipperLib2.PolyType.ptSubject, true);
          if (delta > 0) {
            clpr.Execute(ClipperLib2.ClipType.ctUnion, solution, ClipperLib2.PolyFillType.pftPositive, ClipperLib2.PolyFillType.pftPositive);
          } else {
            var r = ClipperLib2.Clipper.GetBounds(this.m_destPolys);
            var outer = new ClipperLib2.Path();
            outer.push(new ClipperLib2.IntPoint2(r.left - 10, r.bottom + 10));
            outer.push(new ClipperLib2.IntPoint2(r.right + 10, r.bottom + 10));
            outer.push(new ClipperLib2.IntPoint2(r.right + 10, r.top - 10));
            outer.push(new ClipperLib2.IntPoint2(r.left - 10, r.top - 10));
            clpr.AddPath(outer, ClipperLib2.PolyType.ptSubject, true);
            clpr.ReverseSolution = true;
            clpr.Execute(ClipperLib2.ClipType.ctUnion, solution, ClipperLib2.PolyFillType.pftNegative, ClipperLib2.PolyFillType.pftNegative);
            if (solution.length > 0)
              solution.splice(0, 1);
          }
        } else {
          var solution = a[0], delta = a[1];
          solution.Clear();
          this.FixOrientations();
          this.DoOffset(delta);
          var clpr = new ClipperLib2.Clipper(0);
          clpr.AddPaths(this.m_destPolys, ClipperLib2.PolyType.ptSubject, true);
          if (delta > 0) {
            clpr.Execute(ClipperLib2.ClipType.ctUnion, solution, ClipperLib2.PolyFillType.pftPositive, ClipperLib2.PolyFillType.pftPositive);
          } else {
            var r = ClipperLib2.Clipper.GetBounds(this.m_destPolys);
            var outer = new ClipperLib2.Path();
            outer.push(new ClipperLib2.IntPoint2(r.left - 10, r.bottom + 10));
            outer.push(new ClipperLib2.IntPoint2(r.right + 10, r.bottom + 10));
            outer.push(new ClipperLib2.IntPoint2(r.right + 10, r.top - 10));
            outer.push(new ClipperLib2.IntPoint2(r.left - 10, r.top - 10));
            clpr.AddPath(outer, ClipperLib2.PolyType.ptSubject, true);
            clpr.ReverseSolution = true;
            clpr.Execute(ClipperLib2.ClipType.ctUnion, solution, ClipperLib2.PolyFillType.pftNegative, ClipperLib2.PolyFillType.pftNegative);
            if (solution.ChildCount() === 1 && solution.Childs()[0].ChildCount() > 0) {
              var outerNode = solution.Childs()[0];
              solution.Childs()[0] = outerNode.Childs()[0];
              solution.Childs()[0].m_Parent = solution;
              for (var i = 1; i < outerNode.ChildCount(); i++)
                solution.AddChild(outerNode.Childs()[i]);
            } else
              solution.Clear();
          }
        }
      };
      ClipperLib2.ClipperOffset.prototype.OffsetPoint = function(j, k, jointype) {
        this.m_sinA = this.m_normals[k].X * this.m_normals[j].Y - this.m_normals[j].X * this.m_normals[k].Y;
        if (Math.abs(this.m_sinA * this.m_delta) < 1) {
          var cosA = this.m_normals[k].X * this.m_normals[j].X + this.m_normals[j].Y * this.m_normals[k].Y;
          if (cosA > 0) {
            this.m_destPoly.push(new ClipperLib2.IntPoint2(
              ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[k].X * this.m_delta),
              ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[k].Y * this.m_delta)
            ));
            return k;
          }
        } else if (this.m_sinA > 1)
          this.m_sinA = 1;
        else if (this.m_sinA < -1)
          this.m_sinA = -1;
        if (this.m_sinA * this.m_delta < 0) {
          this.m_destPoly.push(new ClipperLib2.IntPoint2(
            ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[k].X * this.m_delta),
            ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[k].Y * this.m_delta)
          ));
          this.m_destPoly.push(new ClipperLib2.IntPoint1(this.m_srcPoly[j]));
          this.m_destPoly.push(new ClipperLib2.IntPoint2(
            ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * this.m_delta),
            ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * this.m_delta)
          ));
        } else
          switch (jointype) {
            case ClipperLib2.JoinType.jtMiter: {
              var r = 1 + (this.m_normals[j].X * this.m_normals[k].X + this.m_normals[j].Y * this.m_normals[k].Y);
              if (r >= this.m_miterLim)
                this.DoMiter(j, k, r);
              else
                this.DoSquare(j, k);
              break;
            }
            case ClipperLib2.JoinType.jtSquare:
              this.DoSquare(j, k);
              break;
            case ClipperLib2.JoinType.jtRound:
              this.DoRound(j, k);
              break;
          }
        k = j;
        return k;
      };
      ClipperLib2.ClipperOffset.prototype.DoSquare = function(j, k) {
        var dx = Math.tan(Math.atan2(
          this.m_sinA,
          this.m_normals[k].X * this.m_normals[j].X + this.m_normals[k].Y * this.m_normals[j].Y
        ) / 4);
        this.m_destPoly.push(new ClipperLib2.IntPoint2(
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_delta * (this.m_normals[k].X - this.m_normals[k].Y * dx)),
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_delta * (this.m_normals[k].Y + this.m_normals[k].X * dx))
        ));
        this.m_destPoly.push(new ClipperLib2.IntPoint2(
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_delta * (this.m_normals[j].X + this.m_normals[j].Y * dx)),
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_delta * (this.m_normals[j].Y - this.m_normals[j].X * dx))
        ));
      };
      ClipperLib2.ClipperOffset.prototype.DoMiter = function(j, k, r) {
        var q = this.m_delta / r;
        this.m_destPoly.push(new ClipperLib2.IntPoint2(
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + (this.m_normals[k].X + this.m_normals[j].X) * q),
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + (this.m_normals[k].Y + this.m_normals[j].Y) * q)
        ));
      };
      ClipperLib2.ClipperOffset.prototype.DoRound = function(j, k) {
        var a = Math.atan2(
          this.m_sinA,
          this.m_normals[k].X * this.m_normals[j].X + this.m_normals[k].Y * this.m_normals[j].Y
        );
        var steps = Math.max(ClipperLib2.Cast_Int32(ClipperLib2.ClipperOffset.Round(this.m_StepsPerRad * Math.abs(a))), 1);
        var X = this.m_normals[k].X, Y = this.m_normals[k].Y, X2;
        for (var i = 0; i < steps; ++i) {
          this.m_destPoly.push(new ClipperLib2.IntPoint2(
            ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + X * this.m_delta),
            ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + Y * this.m_delta)
          ));
          X2 = X;
          X = X * this.m_cos - this.m_sin * Y;
          Y = X2 * this.m_sin + Y * this.m_cos;
        }
        this.m_destPoly.push(new ClipperLib2.IntPoint2(
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * this.m_delta),
          ClipperLib2.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * this.m_delta)
        ));
      };
      ClipperLib2.Error = function(message2) {
        try {
          throw new Error(message2);
        } catch (err) {
          alert(err.message);
        }
      };
      ClipperLib2.JS = {};
      ClipperLib2.JS.AreaOfPolygon = function(poly, scale) {
        if (!scale) scale = 1;
        return ClipperLib2.Clipper.Area(poly) / (scale * scale);
      };
      ClipperLib2.JS.AreaOfPolygons = function(poly, scale) {
        if (!scale) scale = 1;
        var area = 0;
        for (var i = 0; i < poly.length; i++) {
          area += ClipperLib2.Clipper.Area(poly[i]);
        }
        return area / (scale * scale);
      };
      ClipperLib2.JS.BoundsOfPath = function(path, scale) {
        return ClipperLib2.JS.BoundsOfPaths([path], scale);
      };
      ClipperLib2.JS.BoundsOfPaths = function(paths, scale) {
        if (!scale) scale = 1;
        var bounds = ClipperLib2.Clipper.GetBounds(paths);
        bounds.left /= scale;
        bounds.bottom /= scale;
        bounds.right /= scale;
        bounds.top /= scale;
        return bounds;
      };
      ClipperLib2.JS.Clean = function(polygon, delta) {
        if (!(polygon instanceof Array)) return [];
        var isPolygons = polygon[0] instanceof Array;
        var polygon = ClipperLib2.JS.Clone(polygon);
        if (typeof delta !== "number" || delta === null) {
          ClipperLib2.Error("Delta is not a number in Clean().");
          return polygon;
        }
        if (polygon.length === 0 || polygon.length === 1 && polygon[0].length === 0 || delta < 0) return polygon;
        if (!isPolygons) polygon = [polygon];
        var k_length = polygon.length;
        var len, poly, result, d, p, j, i;
        var results = [];
        for (var k = 0; k < k_length; k++) {
          poly = polygon[k];
          len = poly.length;
          if (len === 0) continue;
          else if (len < 3) {
            result = poly;
            results.push(result);
            continue;
          }
          result = poly;
          d = delta * delta;
          p = poly[0];
          j = 1;
          for (i = 1; i < len; i++) {
            if ((poly[i].X - p.X) * (poly[i].X - p.X) + (poly[i].Y - p.Y) * (poly[i].Y - p.Y) <= d)
              continue;
            result[j] = poly[i];
            p = poly[i];
            j++;
          }
          p = poly[j - 1];
          if ((poly[0].X - p.X) * (poly[0].X - p.X) + (poly[0].Y - p.Y) * (poly[0].Y - p.Y) <= d)
            j--;
          if (j < len)
            result.splice(j, len - j);
          if (result.length) results.push(result);
        }
        if (!isPolygons && results.length) results = results[0];
        else if (!isPolygons && results.length === 0) results = [];
        else if (isPolygons && results.length === 0) results = [
          []
        ];
        return results;
      };
      ClipperLib2.JS.Clone = function(polygon) {
        if (!(polygon instanceof Array)) return [];
        if (polygon.length === 0) return [];
        else if (polygon.length === 1 && polygon[0].length === 0) return [
          []
        ];
        var isPolygons = polygon[0] instanceof Array;
        if (!isPolygons) polygon = [polygon];
        var len = polygon.length, plen, i, j, result;
        var results = new Array(len);
        for (i = 0; i < len; i++) {
          plen = polygon[i].length;
          result = new Array(plen);
          for (j = 0; j < plen; j++) {
            result[j] = {
              X: polygon[i][j].X,
              Y: polygon[i][j].Y
            };
          }
          results[i] = result;
        }
        if (!isPolygons) results = results[0];
        return results;
      };
      ClipperLib2.JS.Lighten = function(polygon, tolerance) {
        if (!(polygon instanceof Array)) return [];
        if (typeof tolerance !== "number" || tolerance === null) {
          ClipperLib2.Error("Tolerance is not a number in Lighten().");
          return ClipperLib2.JS.Clone(polygon);
        }
        if (polygon.length === 0 || polygon.length === 1 && polygon[0].length === 0 || tolerance < 0) {
          return ClipperLib2.JS.Clone(polygon);
        }
        var isPolygons = polygon[0] instanceof Array;
        if (!isPolygons) polygon = [polygon];
        var i, j, poly, k, poly2, plen, A, B, P, d, rem, addlast;
        var bxax, byay, l, ax, ay;
        var len = polygon.length;
        var toleranceSq = tolerance * tolerance;
        var results = [];
        for (i = 0; i < len; i++) {
          poly = polygon[i];
          plen = poly.length;
          if (plen === 0) continue;
          for (k = 0; k < 1e6; k++) {
            poly2 = [];
            plen = poly.length;
            if (poly[plen - 1].X !== poly[0].X || poly[plen - 1].Y !== poly[0].Y) {
              addlast = 1;
              poly.push(
                {
                  X: poly[0].X,
                  Y: poly[0].Y
                }
              );
              plen = poly.length;
            } else addlast = 0;
            rem = [];
            for (j = 0; j < plen - 2; j++) {
              A = poly[j];
              P = poly[j + 1];
              B = poly[j + 2];
              ax = A.X;
              ay = A.Y;
              bxax = B.X - ax;
              byay = B.Y - ay;
              if (bxax !== 0 || byay !== 0) {
                l = ((P.X - ax) * bxax + (P.Y - ay) * byay) / (bxax * bxax + byay * byay);
                if (l > 1) {
                  ax = B.X;
                  ay = B.Y;
                } else if (l > 0) {
                  ax += bxax * l;
                  ay += byay * l;
                }
              }
              bxax = P.X - ax;
              byay = P.Y - ay;
              d = bxax * bxax + byay * byay;
              if (d <= toleranceSq) {
                rem[j + 1] = 1;
                j++;
              }
            }
            poly2.push(
              {
                X: poly[0].X,
                Y: poly[0].Y
              }
            );
            for (j = 1; j < plen - 1; j++)
              if (!rem[j]) poly2.push(
                {
                  X: poly[j].X,
                  Y: poly[j].Y
                }
              );
            poly2.push(
              {
                X: poly[plen - 1].X,
                Y: poly[plen - 1].Y
              }
            );
            if (addlast) poly.pop();
            if (!rem.length) break;
            else poly = poly2;
          }
          plen = poly2.length;
          if (poly2[plen - 1].X === poly2[0].X && poly2[plen - 1].Y === poly2[0].Y) {
            poly2.pop();
          }
          if (poly2.length > 2)
            results.push(poly2);
        }
        if (!isPolygons) {
          results = results[0];
        }
        if (typeof results === "undefined") {
          results = [];
        }
        return results;
      };
      ClipperLib2.JS.PerimeterOfPath = function(path, closed, scale) {
        if (typeof path === "undefined") return 0;
        var sqrt = Math.sqrt;
        var perimeter = 0;
        var p1, p2, p1x = 0, p1y = 0, p2x = 0, p2y = 0;
        var j = path.length;
        if (j < 2) return 0;
        if (closed) {
          path[j] = path[0];
          j++;
        }
        while (--j) {
          p1 = path[j];
          p1x = p1.X;
          p1y = p1.Y;
          p2 = path[j - 1];
          p2x = p2.X;
          p2y = p2.Y;
          perimeter += sqrt((p1x - p2x) * (p1x - p2x) + (p1y - p2y) * (p1y - p2y));
        }
        if (closed) path.pop();
        return perimeter / scale;
      };
      ClipperLib2.JS.PerimeterOfPaths = function(paths, closed, scale) {
        if (!scale) scale = 1;
        var perimeter = 0;
        for (var i = 0; i < paths.length; i++) {
          perimeter += ClipperLib2.JS.PerimeterOfPath(paths[i], closed, scale);
        }
        return perimeter;
      };
      ClipperLib2.JS.ScaleDownPath = function(path, scale) {
        var i, p;
        if (!scale) scale = 1;
        i = path.length;
        while (i--) {
          p = path[i];
          p.X = p.X / scale;
          p.Y = p.Y / scale;
        }
      };
      ClipperLib2.JS.ScaleDownPaths = function(paths, scale) {
        var i, j, p;
        if (!scale) scale = 1;
        i = paths.length;
        while (i--) {
          j = paths[i].length;
          while (j--) {
            p = paths[i][j];
            p.X = p.X / scale;
            p.Y = p.Y / scale;
          }
        }
      };
      ClipperLib2.JS.ScaleUpPath = function(path, scale) {
        var i, p, round = Math.round;
        if (!scale) scale = 1;
        i = path.length;
        while (i--) {
          p = path[i];
          p.X = round(p.X * scale);
          p.Y = round(p.Y * scale);
        }
      };
      ClipperLib2.JS.ScaleUpPaths = function(paths, scale) {
        var i, j, p, round = Math.round;
        if (!scale) scale = 1;
        i = paths.length;
        while (i--) {
          j = paths[i].length;
          while (j--) {
            p = paths[i][j];
            p.X = round(p.X * scale);
            p.Y = round(p.Y * scale);
          }
        }
      };
      ClipperLib2.ExPolygons = function() {
        return [];
      };
      ClipperLib2.ExPolygon = function() {
        this.outer = null;
        this.holes = null;
      };
      ClipperLib2.JS.AddOuterPolyNodeToExPolygons = function(polynode, expolygons) {
        var ep = new ClipperLib2.ExPolygon();
        ep.outer = polynode.Contour();
        var childs = polynode.Childs();
        var ilen = childs.length;
        ep.holes = new Array(ilen);
        var node, n, i, j, childs2, jlen;
        for (i = 0; i < ilen; i++) {
          node = childs[i];
          ep.holes[i] = node.Contour();
          for (j = 0, childs2 = node.Childs(), jlen = childs2.length; j < jlen; j++) {
            n = childs2[j];
            ClipperLib2.JS.AddOuterPolyNodeToExPolygons(n, expolygons);
          }
        }
        expolygons.push(ep);
      };
      ClipperLib2.JS.ExPolygonsToPaths = function(expolygons) {
        var a, i, alen, ilen;
        var paths = new ClipperLib2.Paths();
        for (a = 0, alen = expolygons.length; a < alen; a++) {
          paths.push(expolygons[a].outer);
          for (i = 0, ilen = expolygons[a].holes.length; i < ilen; i++) {
            paths.push(expolygons[a].holes[i]);
          }
        }
        return paths;
      };
      ClipperLib2.JS.PolyTreeToExPolygons = function(polytree) {
        var expolygons = new ClipperLib2.ExPolygons();
        var node, i, childs, ilen;
        for (i = 0, childs = polytree.Childs(), ilen = childs.length; i < ilen; i++) {
          node = childs[i];
          ClipperLib2.JS.AddOuterPolyNodeToExPolygons(node, expolygons);
        }
        return expolygons;
      };
    })();
  }
});

// src/core/covers/kind.ts
var FITS = ["true", "snug", "overfull"];
function usualOf(option, units) {
  if (option.type !== "length" && option.type !== "hem") return [];
  const usual = units === "mm" ? option.metric ?? option.default : option.default;
  return usual === void 0 ? [] : [usual].flat();
}
var CLOTH_ROLES = ["face", "back", "contrast", "boxing", "skirt", "flap", "pocket", "welt", "lining"];
var MATERIAL_ROLES = [
  "ticking",
  "batting",
  "fleece",
  "interfacing",
  "strap",
  "foam",
  "board",
  "underlining",
  "dust cover"
];
var ROLES = [...CLOTH_ROLES, ...MATERIAL_ROLES];
var isMaterial = (role) => MATERIAL_ROLES.includes(role);

// src/core/covers/kinds/shared.ts
var seamOf = (usual, metric) => ({
  id: "seam",
  label: "Seam allowance",
  type: "length",
  default: usual,
  metric,
  hint: "per side"
});
var padMeasures = [
  { id: "width", label: "Width", hint: "across the pad, side seam to side seam over the curve", tape: "across" },
  { id: "height", label: "Height", hint: "down the pad, top seam to bottom seam over the curve", tape: "down" }
];
var blockMeasures = [
  { id: "length", label: "Length", hint: "along the front edge of the foam", tape: "front" },
  { id: "width", label: "Width", hint: "from the front edge to the back edge of the foam", tape: "deep" },
  { id: "thickness", label: "Thickness", hint: "the foam\u2019s thickness", tape: "high" }
];
var CAUTION = {
  cutter: "Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler\u2019s edge.",
  iron: "Hot iron: try a scrap first, and stand it on its heel.",
  needle: "Keep fingers clear of the needle, and never sew over pins.",
  foam: "Foam, filling and cover cloth of furniture fall under local fire-safety rules. Follow your local code and qualified practice; nothing here certifies compliance.",
  adhesive: "Spray adhesive is flammable: ventilate, keep flames away, and let the solvent flash off.",
  staples: "Staple gun: wear eye protection, keep fingers out of line, and mind pulled staples.",
  small: "Buttons, cords and small snaps: keep them from infants and pets.",
  belt: "A pad on a vehicle belt can change how the belt works: the vehicle maker\u2019s advice goes first.",
  hotKnife: "Hot knife: cut on glass, ventilate the fumes, and only acrylics; natural fibres burn.",
  knife: "Foam saw or electric knife: clamp the foam, cut away from yourself, and unplug to change blades."
};
var cutStep = {
  do: "Press the cloth, square its end against the selvage and cut the parts; put a label on each.",
  caution: CAUTION.cutter
};
var piping = (qty, when) => ({
  name: "piping",
  role: "welt",
  qty,
  ...when && { when },
  width: "2 * seam + 2 * cord",
  length: "run + inch(6)",
  grain: "grain",
  loss: "2 * seam + 2 * cord",
  least: "min(inch(12), run + inch(6))"
});
var cordNotion = (qty, when) => ({
  name: "piping cord",
  qty,
  ...when && { when },
  length: "run + inch(2)",
  note: "{cord} cord"
});
var pipingOptions = (when) => [
  {
    id: "cord",
    label: "Cord",
    type: "length",
    default: "inch(1/4)",
    ...when && { when },
    hint: "the cord\u2019s diameter"
  },
  {
    id: "grain",
    label: "Piping cut",
    type: "choice",
    ...when && { when },
    choices: [
      { id: "bias", label: "on the bias" },
      { id: "straight", label: "on straight grain" }
    ],
    default: "bias"
  }
];
var YES_NO = [
  { id: "yes", label: "yes" },
  { id: "no", label: "no" }
];
var edgesOption = {
  id: "edges",
  label: "Raw edges",
  isRare: true,
  type: "choice",
  choices: [
    { id: "overlock", label: "overlocked or zigzagged" },
    { id: "pinked", label: "pinked" },
    { id: "hot-knife", label: "hot-knifed" },
    { id: "none", label: "left as cut" }
  ],
  default: "overlock"
};
var edgesSteps = [
  { do: "Overlock or zigzag the edges that fray.", when: "edges == 'overlock'" },
  { do: "Pink the raw edges.", when: "edges == 'pinked'", caution: CAUTION.cutter },
  { do: "Seal the raw edges with a hot knife on glass.", when: "edges == 'hot-knife'", caution: CAUTION.hotKnife }
];
var ownZip = {
  id: "zipLength",
  label: "Zip you have",
  type: "length",
  hint: "empty: the next stock length",
  isRare: true
};
var closureOption = {
  id: "closure",
  label: "Closure",
  isRare: true,
  type: "choice",
  choices: [
    { id: "zip", label: "zip" },
    { id: "tape", label: "hook-and-loop" }
  ],
  default: "zip"
};
var ZIPPED = "closure == 'zip'";
var TAPED = "closure == 'tape'";
var tapeFacing = (opening) => ({
  name: "tape facing",
  role: "face",
  qty: 2,
  when: TAPED,
  across: `${opening} + 2 * seam`,
  along: "inch(1 1/2)"
});
var zipShort = (seam, when = "zipLengthGiven") => ({
  code: "zip-short",
  field: "zipLength",
  level: "warn",
  when: `${when} && zipLengthGiven && zipLength < ${seam}`,
  message: `A zip of {zipLength} is shorter than its seam of {${seam}}; take a longer one and trim it.`
});
var zipLong = (seam, when = "zipLengthGiven") => ({
  code: "zip-long",
  field: "zipLength",
  level: "warn",
  when: `${when} && zipLengthGiven && zipLength > ${seam}`,
  message: `A zip of {zipLength} is longer than the {${seam}} it goes into; sew across a coil zip and cut it, or take a shorter one.`
});
var ownCord = (when) => ({
  id: "cordLength",
  label: "Cord you have",
  type: "length",
  hint: "empty: cut to the run",
  isRare: true,
  ...when && { when }
});
var cordShort = (when) => ({
  code: "cord-short",
  field: "cordLength",
  level: "warn",
  when: `${when} && cordLengthGiven && cordLength < run`,
  message: "A cord of {cordLength} is shorter than the run of {run}; it needs {run + inch(2)}."
});
var cordWide = (when) => ({
  code: "cord-wide",
  field: "cord",
  level: "warn",
  when: `${when} && cord > seam`,
  message: "A {cord} cord is thicker than the {seam} seam allowance; the foot will not reach the seam."
});
var pipingChoice = (all) => ({
  id: "piping",
  label: "Piping",
  type: "choice",
  choices: [{ id: "none", label: "none" }, ...all],
  default: "none"
});
var overlapChecks = (lies, what) => ["stop", "warn"].map((level) => ({
  code: "overlap-short",
  field: "overlap",
  level,
  when: level === "stop" ? `${lies} <= inch(0)` : `${lies} > inch(0) && ${lies} < inch(3)`,
  message: `The ${what} would overlap {${lies}}; {inch(3)} is the least that stays shut.`
}));

// src/core/covers/kinds/book-covers.ts
var wrapAndHeight = [
  {
    id: "wrap",
    label: "Wrap",
    hint: "front edge, round the spine, to back edge in one go, the book closed",
    tape: "wrap"
  },
  { id: "height", label: "Height", hint: "of the cover, top to bottom", tape: "tall" }
];
var flapLayers = (usual) => ({
  id: "flaps",
  label: "Flaps",
  isRare: true,
  type: "choice",
  choices: [
    { id: "doubled", label: "doubled, folded in half" },
    { id: "single", label: "single, hemmed" }
  ],
  default: usual
});
var paddedBookCover = {
  id: "padded-book-cover",
  letter: "L",
  name: "Book cover, lined and padded",
  version: 2,
  about: "Outer, lining and batting with two folded flaps; turned through a gap, so reversible.",
  drawing: "book",
  object: "book",
  fill: "firm",
  measures: [
    ...wrapAndHeight,
    {
      id: "board",
      label: "Board",
      hint: "thickness of the book\u2019s board, 1/8 in usual",
      tape: "board",
      default: "inch(1/8)"
    }
  ],
  options: [
    seamOf("inch(1/4)", "mm(6)"),
    { id: "flap", label: "Flap", type: "length", default: "inch(4)", hint: "how far each flap reaches in" },
    flapLayers("doubled")
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "asCut ? wrap : wrap + 2 * seam + board" },
    { name: "cutHeight", is: "asCut ? height : height + 2 * seam + board" },
    // A single flap has one hem of 1/2 + 1/2 where the doubled one has its fold.
    { name: "flapWidth", is: "flaps == 'single' ? flap + seam + board + inch(1) : 2 * flap + 2 * seam + board" },
    { name: "stiffened", is: "flaps == 'single' ? flapWidth - inch(1) : flapWidth / 2" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "outer",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "lining", role: "lining", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "batting", role: "batting", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "flap", role: "flap", qty: 2, across: "flapWidth", along: "cutHeight" },
    { name: "interfacing", role: "interfacing", qty: 2, across: "stiffened", along: "cutHeight" }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    {
      code: "flap-wide",
      field: "flap",
      level: "warn",
      when: "flap > wrap / 2",
      message: "Flaps of {flap} would meet inside a wrap of {wrap}; make them less than half."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Fuse interfacing to one half of each flap, fold the flaps in half and press.",
      when: "flaps == 'doubled'",
      caution: CAUTION.iron
    },
    {
      do: "Fuse interfacing to each flap up to its hem, turn the hem 1/2 + 1/2 and top-stitch.",
      stitch: "seam",
      when: "flaps == 'single'",
      caution: CAUTION.iron
    },
    {
      do: "Baste the batting to the outer; lay the flaps on it, raw edges out, then the lining face down.",
      stitch: "basting"
    },
    { do: "Sew all round at the seam allowance, leaving a gap of 2 to 3 in.", stitch: "seam", caution: CAUTION.needle },
    { do: "Clip the corners, turn through the gap with a blunt point, press and close the gap." },
    { do: "Check: it goes over the closed book without pulling the boards." }
  ]
};
var hemmedBookCover = {
  id: "hemmed-book-cover",
  letter: "M",
  name: "Book cover with hemmed flaps",
  version: 2,
  about: "Outer and lining with two hemmed flaps, and a pocket if wanted; sewn at 3/8 in.",
  drawing: "book",
  object: "book",
  fill: "firm",
  measures: [...wrapAndHeight, { id: "cover", label: "Cover", hint: "the width of one cover alone", tape: "cover" }],
  options: [
    seamOf("inch(3/8)", "cm(1)"),
    flapLayers("single"),
    {
      id: "hem",
      label: "Flap hems",
      type: "hem",
      default: ["inch(1/2)", "inch(1/2)"],
      metric: ["cm(1)", "cm(1)"],
      when: "flaps == 'single'"
    },
    { id: "spine", isRare: true, label: "Spine", type: "length", hint: "its thickness, to prove the wrap" },
    { id: "pocketWidth", label: "Pocket width", type: "length", hint: "finished; empty: no pocket" },
    { id: "pocketHeight", label: "Pocket height", type: "length", hint: "finished; empty: no pocket" }
  ],
  defaultFit: "true",
  allowance: { true: "inch(1)" },
  results: [
    { name: "cutWidth", is: "wrap + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    // A doubled flap reaches in as far as the hemmed one does, twice, with a seam at its raw edges.
    { name: "reach", is: "cover - inch(1/2) - seam - inch(1)" },
    { name: "flapWidth", is: "flaps == 'single' ? cover - inch(1/2) : 2 * (reach + seam)" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "outer",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "lining", role: "lining", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "flap", role: "flap", qty: 2, across: "flapWidth", along: "cutHeight" },
    {
      name: "pocket",
      role: "pocket",
      qty: 2,
      when: "pocketWidthGiven && pocketHeightGiven",
      across: "pocketWidth + inch(1)",
      along: "pocketHeight + inch(1)"
    }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    {
      code: "wrap-short",
      field: "wrap",
      level: "warn",
      when: "wrap < 2 * cover + spine",
      message: "A wrap of {wrap} is less than two covers of {cover} and a spine; one of them is misread."
    },
    {
      code: "pocket-half",
      field: "pocketHeight",
      level: "warn",
      when: "pocketWidthGiven != pocketHeightGiven",
      message: "A pocket needs its width and its height; it is left out."
    },
    {
      code: "pocket-large",
      field: "pocketWidth",
      level: "warn",
      when: "pocketWidthGiven && (pocketWidth > cover || pocketHeight > height)",
      message: "A pocket of {pocketWidth} by {pocketHeight} is larger than the cover of {cover} by {height}."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Hem one long edge of each flap: press the turns, then stitch along the fold.",
      stitch: "seam",
      when: "flaps == 'single'",
      caution: CAUTION.iron
    },
    { do: "Fold each flap in half along its length and press.", when: "flaps == 'doubled'", caution: CAUTION.iron },
    {
      do: "Sew the pocket\u2019s layers together, turn, and stitch it to the lining.",
      stitch: "seam",
      when: "pocketWidthGiven && pocketHeightGiven"
    },
    {
      do: "Lay the flaps on the outer, the lining face down over them, and sew all round at 3/8 in, leaving a gap.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Clip the corners, turn with a blunt point, press and close the gap." },
    { do: "Check: it goes over the closed book, the flaps hold both boards." }
  ]
};
var vinylBookCover = {
  id: "vinyl-book-cover",
  letter: "N",
  name: "Book cover, one layer of vinyl",
  version: 2,
  about: "One layer with turned-in flaps; edges stitched by hand or glued. Square the hide or offcut first.",
  drawing: "book",
  object: "book",
  fill: "firm",
  measures: wrapAndHeight,
  options: [
    { id: "flap", label: "Flap", type: "length", default: "inch(3)", hint: "each; up to 7 in" },
    { id: "margin", label: "Margin", type: "length", default: "mm(5)", hint: "beyond the book at top and bottom" },
    seamOf("mm(4)", "mm(4)")
  ],
  defaultFit: "true",
  allowance: { true: "2 * margin" },
  results: [
    { name: "cutWidth", is: "asCut ? wrap : wrap + 2 * flap" },
    { name: "cutHeight", is: "height + allowance" }
  ],
  finished: { width: "asCut ? wrap - 2 * flap : wrap", height: "cutHeight" },
  pieces: [{ name: "cover", role: "face", qty: 1, across: "cutWidth", along: "cutHeight" }],
  strips: [],
  notions: [
    {
      name: "thread",
      qty: "1",
      length: "4 * cutHeight + 4 * flap",
      note: "waxed, for stitching 3 to 4 mm in; or adhesive"
    }
  ],
  checks: [
    {
      code: "flap-wide",
      field: "flap",
      level: "warn",
      when: "flap > inch(7)",
      message: "A flap of {flap} is more than the 7 in that are usual at most."
    }
  ],
  steps: [
    { do: "Square the hide or offcut, then cut the cover.", caution: CAUTION.cutter },
    { do: "Fold the flaps in round the book\u2019s boards and clip them." },
    { do: "Stitch the edges by hand 3 to 4 mm in, or glue them.", caution: CAUTION.adhesive },
    { do: "Check: the book opens flat." }
  ]
};

// src/core/covers/kinds/boxed-cushion.ts
var boxedCushion = {
  id: "boxed-cushion",
  letter: "G",
  name: "Boxed cushion with a zip panel",
  version: 2,
  about: "Top and bottom plates, boxing round the sides, a zip panel along the back, with or without piping.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: blockMeasures,
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    pipingChoice([
      { id: "top", label: "at the top" },
      { id: "both", label: "top and bottom" }
    ]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    {
      id: "boxing",
      label: "Boxing",
      type: "choice",
      choices: [
        { id: "corners", label: "seams at corners" },
        { id: "wrap", label: "one strip round" }
      ],
      default: "corners"
    },
    closureOption,
    { ...ownZip, when: ZIPPED },
    { id: "foamLength", isRare: true, label: "Foam length", type: "length", hint: "when it is not the size measured" },
    { id: "foamWidth", isRare: true, label: "Foam width", type: "length", hint: "when it is not the size measured" },
    edgesOption
  ],
  defaultFit: "true",
  // Foam covers are cut true size, or 1/4 to 1/2 under in each direction so that the foam fills the corners.
  allowance: { true: "2 * seam", snug: "2 * seam - inch(1/4)", overfull: "2 * seam - inch(1/2)" },
  results: [
    { name: "cutLength", is: "length + allowance" },
    { name: "cutWidth", is: "width + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "panelHalf", is: "asCut ? (thickness + 2 * seam) / 2 : (thickness + 4 * seam) / 2" },
    { name: "run", is: "2 * (cutLength - 2 * seam + cutWidth - 2 * seam)" },
    { name: "round", is: "cutLength + 2 * (cutWidth - 2 * seam)" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockUp(cutLength - 2 * seam)" }
  ],
  finished: { width: "cutLength - 2 * seam", height: "cutWidth - 2 * seam", thickness: "boxingHeight - 2 * seam" },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth",
      match: { anchor: ["seam", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth"
    },
    {
      name: "front boxing",
      role: "boxing",
      qty: 1,
      when: "boxing == 'corners'",
      across: "cutLength",
      along: "boxingHeight",
      // The boxing hangs from the top's front seam line: the two seam lines share the pattern.
      match: { anchor: ["seam", "boxingHeight - seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "side boxing",
      role: "boxing",
      qty: 2,
      when: "boxing == 'corners'",
      across: "cutWidth",
      along: "boxingHeight"
    },
    { name: "zip panel half", role: "boxing", qty: 2, when: ZIPPED, across: "cutLength", along: "panelHalf" },
    // Closed as kind H is: one strip of full width, one of half width with the tape.
    { name: "closure, full width", role: "boxing", qty: 1, when: TAPED, across: "cutLength", along: "boxingHeight" },
    {
      name: "closure, half width",
      role: "boxing",
      qty: 1,
      when: TAPED,
      across: "cutLength",
      along: "boxingHeight / 2"
    }
  ],
  strips: [
    {
      name: "boxing",
      role: "boxing",
      qty: "1",
      when: "boxing == 'wrap'",
      width: "boxingHeight",
      length: "round",
      grain: "'straight'",
      loss: "2 * seam",
      least: "min(inch(12), round)"
    },
    piping("piping == 'both' ? 2 : 1", "piping != 'none'")
  ],
  notions: [
    { name: "zip", qty: "1", when: ZIPPED, length: "zip", note: "coil, trimmed to fit" },
    { name: "hook-and-loop", qty: "1", when: TAPED, length: "cutLength - 2 * seam", note: "along the back" },
    cordNotion("piping == 'both' ? 2 : 1", "piping != 'none'"),
    {
      name: "foam",
      qty: "1",
      note: "{foamLengthGiven ? foamLength : length} x {foamWidthGiven ? foamWidth : width} x {thickness}"
    }
  ],
  centre: ["cutLength / 2", "cutWidth / 2"],
  checks: [
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipShort("(cutLength - 2 * seam)", ZIPPED),
    {
      code: "foam-large",
      field: "foamLength",
      level: "warn",
      when: "foamLengthGiven && foamLength > cutLength - 2 * seam + inch(1/2)",
      message: "Foam {foamLength} long is more than a cover of {cutLength - 2 * seam} takes; trim the foam or cut the cover longer."
    },
    {
      code: "foam-large",
      field: "foamWidth",
      level: "warn",
      when: "foamWidthGiven && foamWidth > cutWidth - 2 * seam + inch(1/2)",
      message: "Foam {foamWidth} wide is more than a cover of {cutWidth - 2 * seam} takes; trim the foam or cut the cover wider."
    },
    {
      code: "boxing-low",
      field: "thickness",
      level: "warn",
      when: `${ZIPPED} && thickness < inch(1)`,
      message: "A boxing of {thickness} is too low for a zip panel; 1 in is the least that takes a coil zip."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Join the piping strips at 45 degrees, never at a corner; wrap the cord and sew it in.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping != 'none'",
      caution: CAUTION.needle
    },
    {
      do: "Sew the piping round the top along the seam line; clip its allowance at the corners.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping == 'top'"
    },
    {
      do: "Sew the piping round top and bottom along the seam line; clip its allowance at the corners.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping == 'both'"
    },
    {
      do: "Press the long edge of each zip panel half under, lay both along the zip and stitch close to the fold.",
      stitch: "seam",
      foot: "zip foot",
      when: ZIPPED,
      caution: CAUTION.iron
    },
    {
      do: "Hem one long edge of both closure strips, sew hook-and-loop to them and lay the half under the full one.",
      stitch: "seam",
      when: TAPED,
      caution: CAUTION.needle
    },
    {
      do: "Sew front and side boxing together at the corners, then close the ring with the closure.",
      stitch: "seam",
      when: "boxing == 'corners'"
    },
    {
      do: "Join the boxing strip if it has joins, then close the ring with the closure; mark the corners.",
      stitch: "seam",
      when: "boxing == 'wrap'"
    },
    {
      do: "Sew the boxing to the top, corners clipped to the stitch; the stripe meets along the front seam line.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    ...edgesSteps,
    { do: "Open the closure half way, then sew the boxing to the bottom.", stitch: "seam" },
    { do: "Turn, press the seams, fill with the foam.", caution: CAUTION.foam },
    {
      do: "Check: corners full, stripe meets within 1/8 in, no pull at the piping\u2019s corners, the closure shuts flat."
    }
  ]
};

// src/core/covers/kinds/envelope-cushion.ts
var envelopeCushion = {
  id: "envelope-cushion",
  letter: "A",
  name: "Envelope cushion",
  version: 2,
  about: "One front and two hemmed backs that overlap; no closure.",
  drawing: "envelope",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "hem",
      label: "Back hems",
      type: "hem",
      default: ["inch(1/4)", "inch(1/4)"],
      metric: ["mm(6)", "mm(6)"],
      hint: "one turn, or two with a +"
    },
    {
      id: "overlap",
      label: "Overlap",
      type: "length",
      hint: "how far the backs lie over each other; 6 in unless the back is given"
    },
    {
      id: "backCut",
      label: "Back cut",
      type: "length",
      hint: "each back\u2019s cut height, when you fix that instead of the overlap"
    },
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "wanted", is: "overlapGiven ? overlap : inch(6)", inline: true },
    { name: "back", is: "backCutGiven ? backCut : (cutHeight + wanted) / 2 + hem" },
    { name: "lies", is: "2 * (back - hem) - cutHeight" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam", overlap: "lies" },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "back panel", role: "back", qty: 2, across: "cutWidth", along: "back" }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    ...overlapChecks("lies", "back panels"),
    {
      code: "overlap-over-panel",
      field: "overlap",
      level: "warn",
      when: "lies > back - hem",
      message: "An overlap of {lies} is more than a back panel covers ({back - hem} hemmed); make it less."
    },
    {
      code: "overlap-disagrees",
      field: "overlap",
      level: "warn",
      when: "backCutGiven && overlapGiven && overlap != lies",
      message: "Backs cut at {backCut} overlap {lies}, not {overlap}; the back cut is used. Clear one of the two."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Hem one long edge of each back panel: press the turns, then stitch along the fold.",
      stitch: "seam",
      caution: CAUTION.iron
    },
    { do: "Lay the front face up, the upper back face down on it, then the lower back; pin the four sides." },
    {
      do: "Sew round all four sides at the seam allowance; backstitch where the hems cross.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Clip the corners." },
    ...edgesSteps,
    { do: "Turn with a blunt point and press.", caution: CAUTION.iron },
    { do: "Check: diagonals equal, the overlap stays shut over the pad." }
  ]
};

// src/core/covers/kinds/flanged-cushion.ts
var flangedCushion = {
  id: "flanged-cushion",
  letter: "E",
  name: "Flanged cushion",
  version: 2,
  about: "A flat flange stands out round the pad; the back is in two hemmed parts.",
  drawing: "flange",
  object: "pad",
  fill: "soft",
  measures: [...padMeasures, { id: "flange", label: "Flange", hint: "how far the flange stands out", tape: "edge" }],
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "hem",
      label: "Back hems",
      type: "hem",
      default: ["inch(1/4)", "inch(1/4)"],
      metric: ["mm(6)", "mm(6)"],
      hint: "one turn, or two with a +"
    },
    {
      id: "overlap",
      label: "Overlap",
      type: "length",
      default: "inch(6)",
      hint: "how far the backs lie over each other"
    },
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "asCut ? width : width + 2 * flange + allowance" },
    { name: "cutHeight", is: "asCut ? height : height + 2 * flange + allowance" },
    { name: "back", is: "(cutHeight + overlap) / 2 + hem" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam", flange: "flange" },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "back panel", role: "back", qty: 2, across: "cutWidth", along: "back" }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    ...overlapChecks("overlap", "back panels"),
    {
      code: "flange-wide",
      field: "flange",
      level: "warn",
      when: "flange > min(width, height) / 3",
      message: "A flange of {flange} is wide for this pad and will flop; up to a third of the pad is usual."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Hem one long edge of each back panel: press the turns, then stitch along the fold.",
      stitch: "seam",
      caution: CAUTION.iron
    },
    {
      do: "Lay the backs over the front right sides together and sew all round at the seam allowance.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    ...edgesSteps,
    { do: "Clip the corners, turn with a blunt point, press, and mark the flange all round." },
    {
      do: "Stitch the flange in along the mark; on a bold pattern all four lines fall at the same place of the pattern.",
      stitch: "seam"
    },
    { do: "Check: flange equal on four sides within 1/8 in, corners square." }
  ]
};

// src/core/covers/kinds/flap-zip-cushion.ts
var flapZipCushion = {
  id: "flap-zip-cushion",
  letter: "D",
  name: "Cushion with a zip across the back under a flap",
  version: 2,
  about: "The back is cut in two, with a zip under a flap; both sides are trimmed to the front.",
  drawing: "flap",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "flap",
      label: "Flap",
      type: "choice",
      choices: [
        { id: "strip", label: "a separate strip" },
        { id: "fold", label: "a fold of the back" }
      ],
      default: "strip"
    },
    {
      id: "edge",
      label: "Edge",
      type: "choice",
      choices: [
        { id: "seamed", label: "seamed" },
        { id: "bound", label: "basted and bound" }
      ],
      default: "seamed"
    },
    ownZip,
    { ...edgesOption, when: "edge == 'seamed'" }
  ],
  defaultFit: "snug",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "backHeight", is: "flap == 'strip' ? cutHeight + inch(3/2) : cutHeight + inch(9/2)" },
    { name: "round", is: "2 * (cutWidth + cutHeight)" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockUp(cutWidth + inch(1/2))" }
  ],
  finished: {
    width: "edge == 'bound' ? cutWidth : cutWidth - 2 * seam",
    height: "edge == 'bound' ? cutHeight : cutHeight - 2 * seam"
  },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "back", role: "back", qty: 1, across: "cutWidth", along: "backHeight" },
    { name: "flap", role: "back", qty: 1, when: "flap == 'strip'", across: "cutWidth", along: "inch(4)" }
  ],
  strips: [
    {
      name: "binding",
      role: "welt",
      qty: "1",
      when: "edge == 'bound'",
      width: "inch(2)",
      length: "round + inch(6)",
      grain: "'bias'",
      loss: "inch(2)",
      least: "min(inch(12), round + inch(6))"
    }
  ],
  notions: [{ name: "zip", qty: "1", length: "zip", note: "coil, longer than the cover and trimmed" }],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [zipShort("cutWidth")],
  steps: [
    cutStep,
    { do: "Cut the back in two at half its height." },
    { do: "Fold the flap strip in half lengthwise and press.", when: "flap == 'strip'", caution: CAUTION.iron },
    { do: "Fold 2 in of the upper back over for the flap and press.", when: "flap == 'fold'", caution: CAUTION.iron },
    {
      do: "Sew the zip between the two backs, the flap over it.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.needle
    },
    { do: "Trim the back to the front. Open the zip half way before the last seam." },
    { do: "Sew round all four sides at the seam allowance.", stitch: "seam", when: "edge == 'seamed'" },
    { do: "Baste round at 1/8 in and bind the edge.", stitch: "basting", when: "edge == 'bound'" },
    ...edgesSteps,
    { do: "Turn with a blunt point, press and fill.", caution: CAUTION.iron },
    { do: "Check: the zip runs under its flap." }
  ]
};

// src/core/covers/kinds/floor-cushion.ts
var floorCushion = {
  id: "floor-cushion",
  letter: "F",
  name: "Floor cushion",
  version: 2,
  about: "Two faces of different cloth with ticking mounted behind, cut under the form so that it stays plump.",
  drawing: "flat",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "ticking",
      label: "Inner ticking",
      type: "choice",
      choices: YES_NO,
      default: "yes"
    },
    closureOption,
    { ...ownZip, when: ZIPPED },
    edgesOption
  ],
  defaultFit: "overfull",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(cutWidth - inch(4))" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "top face",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "cutHeight / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "under face", role: "back", qty: 1, across: "cutWidth", along: "cutHeight" },
    tapeFacing("(cutWidth - inch(4))"),
    { name: "ticking", role: "ticking", qty: 2, when: "ticking == 'yes'", across: "cutWidth", along: "cutHeight" }
  ],
  strips: [],
  notions: [
    {
      name: "zip",
      qty: "1",
      when: `${ZIPPED} && zip > inch(0)`,
      length: "zip",
      note: "about 4 in under the edge"
    },
    { name: "hook-and-loop", qty: "1", when: TAPED, length: "cutWidth - inch(4)", note: "on the facings" }
  ],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    zipLong("(cutWidth - 2 * seam)", ZIPPED),
    {
      code: "zip-none",
      field: "width",
      level: "warn",
      when: `${ZIPPED} && zip == inch(0)`,
      message: "No stock zip is 4 in shorter than an edge of {cutWidth}."
    }
  ],
  steps: [
    cutStep,
    { do: "Mount each face on its ticking: baste round at 1/4 in.", stitch: "basting", when: "ticking == 'yes'" },
    ...edgesSteps,
    {
      do: "Sew the zip into the bottom seam; open it half way.",
      stitch: "seam",
      foot: "zip foot",
      when: ZIPPED,
      caution: CAUTION.needle
    },
    {
      do: "Sew a facing to each side of the opening and hook-and-loop to the facings; sew the seam shut beyond it.",
      stitch: "seam",
      when: TAPED,
      caution: CAUTION.needle
    },
    { do: "Right sides together, sew the three other sides; sew again over the corners.", stitch: "seam" },
    { do: "Clip the corners, turn with a blunt point, press and fill.", caution: CAUTION.foam },
    { do: "Check: corners full, the opening shuts." }
  ]
};

// src/core/covers/kinds/pillow-top-stool.ts
var skirt = (when, outlineOf) => [
  ["long skirt", "cutLength"],
  ["short skirt", "cutWidth"]
].map(([name, across]) => {
  const outline = outlineOf(across);
  return {
    name,
    role: "skirt",
    qty: 2,
    when,
    across,
    along: "skirtHeight",
    ...outline && { outline },
    ...name === "long skirt" && {
      match: { anchor: ["seam", "skirtHeight - seam"], delta: ["inch(0)", "inch(0)"] }
    }
  };
});
var mitred = (across) => [
  ["inch(0)", "inch(0)"],
  [across, "inch(0)"],
  [across, "skirtHeight - mitre"],
  [`${across} - mitre`, "skirtHeight"],
  ["mitre", "skirtHeight"],
  ["inch(0)", "skirtHeight - mitre"]
];
var pillowTopStool = {
  id: "pillow-top-stool",
  letter: "K",
  name: "Stool with a pillow top and a skirt",
  version: 2,
  about: "A piped, boxed pillow on top; a skirt joined to its underside and stapled to the frame.",
  drawing: "stool",
  object: "stool",
  fill: "soft",
  measures: [
    { id: "length", label: "Length", hint: "seam to seam along the finished top", tape: "front" },
    { id: "width", label: "Width", hint: "seam to seam across the finished top", tape: "deep" },
    { id: "thickness", label: "Thickness", hint: "of the pillow at its edge", tape: "high" },
    { id: "drop", label: "Drop", hint: "from the seam to the underside of the frame", tape: "drop" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    { id: "pull", label: "Pull", type: "length", default: "inch(2)", hint: "what goes under the frame to be stapled" },
    {
      id: "inset",
      label: "Inset",
      type: "length",
      default: "inch(1/2)",
      hint: "how far from the pillow\u2019s edge the skirt joins: 1/2 to 4 in"
    },
    {
      id: "corners",
      label: "Skirt corners",
      type: "choice",
      choices: [
        { id: "mitred", label: "mitred above the frame" },
        { id: "straight", label: "cut straight" }
      ],
      default: "mitred"
    },
    {
      id: "otherDrop",
      isRare: true,
      label: "Drop, other side",
      type: "length",
      hint: "measured again on the next side"
    },
    ...pipingOptions(void 0),
    ownCord(void 0),
    ownZip,
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutLength", is: "length + allowance" },
    { name: "cutWidth", is: "width + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "boxingLength", is: "cutLength + cutWidth - 2 * seam" },
    { name: "skirtHeight", is: "asCut ? drop : drop + pull" },
    // The mitre's seam takes the inset off both ways; its cut edge lies a seam allowance outside it.
    { name: "mitre", is: "min(inset + 2 * seam - diagonal(seam, seam), min(cutWidth / 2, skirtHeight))", inline: true },
    { name: "run", is: "2 * (cutLength - 2 * seam + cutWidth - 2 * seam)" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(diagonal(cutLength, cutWidth) - inch(4))" }
  ],
  finished: {
    width: "cutLength - 2 * seam",
    height: "cutWidth - 2 * seam",
    thickness: "boxingHeight - 2 * seam",
    skirt: "asCut ? drop - pull : drop"
  },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth",
      match: { anchor: ["seam", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutLength",
      along: "cutWidth"
    },
    { name: "boxing", role: "boxing", qty: 2, across: "boxingLength", along: "boxingHeight" },
    ...skirt("corners == 'mitred'", (across) => mitred(across)),
    ...skirt("corners == 'straight'", () => void 0)
  ],
  strips: [piping("2", void 0)],
  notions: [
    cordNotion("2", void 0),
    { name: "zip", qty: "1", when: "zip > inch(0)", length: "zip", note: "on the diagonal of the hidden underside" },
    { name: "staples", qty: "whole(2 * (length + width) / inch(1))", note: "about one an inch round the frame" }
  ],
  centre: ["cutLength / 2", "cutWidth / 2"],
  checks: [
    {
      code: "inset-range",
      field: "inset",
      level: "warn",
      when: "inset < inch(1/2) || inset > inch(4)",
      message: "The skirt joins the underside 1/2 to 4 in from its edge; {inset} is outside that."
    },
    {
      code: "pull-short",
      field: "pull",
      level: "warn",
      when: "!asCut && pull < inch(3/2)",
      message: "A pull of {pull} is too short to staple; 2 in is usual."
    },
    {
      code: "drops-disagree",
      field: "otherDrop",
      level: "warn",
      when: "otherDropGiven && otherDrop != drop",
      message: "One side drops {drop} and the other {otherDrop}; measure again, or cut all skirts to the longer."
    },
    cordWide("cord > inch(0)"),
    cordShort("cord > inch(0)"),
    zipLong("diagonal(cutLength, cutWidth)")
  ],
  steps: [
    cutStep,
    {
      do: "Set the zip into a diagonal cut of the bottom; open it half way.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.needle
    },
    {
      do: "Join the piping strips at 45 degrees, wrap the cord, and sew it round top and bottom.",
      stitch: "upholstery",
      foot: "piping foot",
      caution: CAUTION.needle
    },
    { do: "Seam the two boxing lengths at the corners and sew them between top and bottom.", stitch: "upholstery" },
    {
      do: "Sew the skirt\u2019s corners straight up to the frame\u2019s height and mitre them above; join it to the underside {inset} from the edge.",
      stitch: "upholstery",
      when: "corners == 'mitred'"
    },
    {
      do: "Sew the skirt\u2019s corners straight; join it to the underside {inset} from the edge.",
      stitch: "upholstery",
      when: "corners == 'straight'"
    },
    ...edgesSteps,
    { do: "Pull the skirt over the frame and staple under it, middles first.", caution: CAUTION.staples },
    {
      do: "Fill the pillow. Check: corners full, no pull at the piping, the skirt hangs straight.",
      caution: CAUTION.foam
    }
  ]
};

// src/core/covers/kinds/platform-boxed.ts
var platformBoxed = {
  id: "platform-boxed",
  letter: "I",
  name: "Stapled platform cushion with sewn boxing",
  version: 2,
  about: "A plate and four boxing parts over foam, pulled round the platform and stapled.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: blockMeasures,
  options: [
    seamOf("inch(1/4)", "mm(6)"),
    { id: "grip", label: "Grip", type: "length", default: "inch(3)", hint: "allowance, wrap and what the hand pulls" }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "plateLength", is: "length + allowance" },
    { name: "plateWidth", is: "width + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + grip" }
  ],
  finished: {
    width: "plateLength - 2 * seam",
    height: "plateWidth - 2 * seam",
    thickness: "asCut ? thickness - grip : thickness"
  },
  pieces: [
    {
      name: "plate",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "plateLength",
      along: "plateWidth",
      match: { anchor: ["seam", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "long boxing",
      role: "boxing",
      qty: 2,
      across: "plateLength",
      along: "boxingHeight",
      match: { anchor: ["seam", "boxingHeight - seam"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "short boxing", role: "boxing", qty: 2, across: "plateWidth", along: "boxingHeight" },
    { name: "dust cover", role: "dust cover", qty: 1, across: "length", along: "width" }
  ],
  strips: [],
  notions: [
    { name: "foam", qty: "1", note: "{length} x {width} x {thickness}" },
    { name: "staples", qty: "whole(2 * (length + width) / inch(1))", note: "about one an inch round the edge" }
  ],
  centre: ["plateLength / 2", "plateWidth / 2"],
  checks: [
    {
      code: "grip-short",
      field: "grip",
      level: "warn",
      when: "grip < inch(2)",
      message: "A grip of {grip} leaves nothing to pull; 3 in is usual, 2 in the least."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Sew the boxing to the plate, then the corners; cloth pulls for tufts come from scraps.",
      stitch: "upholstery",
      caution: CAUTION.needle
    },
    { do: "Glue the foam to the platform and let it flash off.", caution: CAUTION.adhesive },
    {
      do: "Pull the cover over, staple the middle of each side first, then towards the corners.",
      caution: CAUTION.staples
    },
    { do: "Staple the dust cover under it.", caution: CAUTION.staples },
    { do: "Check: seams run along the edges, tufts equally deep, no pull at the corners.", caution: CAUTION.foam }
  ]
};

// src/core/covers/kinds/platform-notched.ts
var platformNotched = {
  id: "platform-notched",
  letter: "J",
  name: "Stapled platform cushion, one notched plate",
  version: 2,
  about: "One plate with its corners cut out; only the four corner seams are sewn.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: [
    ...blockMeasures,
    { id: "wrap", label: "Wrap", hint: "what goes under the board to be stapled", tape: "under" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    {
      id: "under",
      label: "Under",
      type: "length",
      default: "inch(1/2)",
      hint: "how much smaller the span between the notches is"
    }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "plateLength", is: "asCut ? length : length + 2 * (thickness + wrap)" },
    { name: "plateWidth", is: "asCut ? width : width + 2 * (thickness + wrap)" },
    { name: "foamLength", is: "asCut ? length - 2 * (thickness + wrap) : length", inline: true },
    { name: "foamWidth", is: "asCut ? width - 2 * (thickness + wrap) : width", inline: true },
    { name: "notchAcross", is: "(plateLength - (foamLength + 2 * seam - under)) / 2" },
    { name: "notchAlong", is: "(plateWidth - (foamWidth + 2 * seam - under)) / 2" }
  ],
  finished: { width: "foamLength", height: "foamWidth", thickness: "thickness" },
  pieces: [
    {
      name: "plate",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "plateLength",
      along: "plateWidth",
      outline: [
        ["notchAcross", "inch(0)"],
        ["plateLength - notchAcross", "inch(0)"],
        ["plateLength - notchAcross", "notchAlong"],
        ["plateLength", "notchAlong"],
        ["plateLength", "plateWidth - notchAlong"],
        ["plateLength - notchAcross", "plateWidth - notchAlong"],
        ["plateLength - notchAcross", "plateWidth"],
        ["notchAcross", "plateWidth"],
        ["notchAcross", "plateWidth - notchAlong"],
        ["inch(0)", "plateWidth - notchAlong"],
        ["inch(0)", "notchAlong"],
        ["notchAcross", "notchAlong"]
      ],
      match: { anchor: ["plateLength / 2", "plateWidth / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "underlining",
      role: "underlining",
      qty: 1,
      across: "foamLength + inch(1/2)",
      along: "foamWidth + inch(1/2)"
    },
    { name: "board", role: "board", qty: 1, across: "foamLength - inch(1/4)", along: "foamWidth - inch(1/4)" }
  ],
  strips: [],
  notions: [
    {
      name: "corner notch",
      qty: "4",
      length: "notchAcross",
      note: "{notchAcross} by {notchAlong}, cut out of each corner"
    },
    { name: "foam", qty: "1", note: "{foamLength} x {foamWidth} x {thickness}" },
    { name: "staples", qty: "whole(2 * (foamLength + foamWidth) / inch(1))", note: "about one an inch round the edge" }
  ],
  centre: ["plateLength / 2", "plateWidth / 2"],
  checks: [
    {
      code: "notch-none",
      field: "wrap",
      level: "stop",
      when: "notchAcross <= inch(0) || notchAlong <= inch(0)",
      message: "The corner notches would be {notchAcross} by {notchAlong}; make the wrap more."
    },
    {
      code: "under-wide",
      field: "under",
      level: "warn",
      when: "under > inch(1)",
      message: "A span {under} smaller strains the corner seams; 1/2 in is usual."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Cut the corner notches out and sew only the four corner seams.",
      stitch: "upholstery",
      caution: CAUTION.needle
    },
    { do: "Round the board\u2019s corners; glue the foam to the board and let it flash off.", caution: CAUTION.adhesive },
    {
      do: "Pull the cover over and staple the middle of each side first, then towards the corners.",
      caution: CAUTION.staples
    },
    { do: "Staple the underlining over the raw edges.", caution: CAUTION.staples },
    { do: "Check: corner seams stand on the corners, equal diagonals.", caution: CAUTION.foam }
  ]
};

// src/core/covers/kinds/small-covers.ts
var deviceSleeve = {
  id: "device-sleeve",
  letter: "O",
  name: "Sleeve for a tablet",
  version: 2,
  about: "Two sides of neoprene with contrast panels and a thumb notch; loop and button if wanted.",
  drawing: "sleeve",
  object: "device",
  fill: "firm",
  measures: [
    { id: "width", label: "Width", hint: "of the device", tape: "across" },
    { id: "length", label: "Length", hint: "of the device", tape: "long" },
    { id: "depth", label: "Depth", hint: "how thick the device is", tape: "deep" }
  ],
  options: [
    seamOf("inch(1/4)", "mm(6)"),
    { id: "ease", label: "Ease", type: "length", default: "inch(3/8)", hint: "3/8 to 1/2 in" },
    { id: "button", label: "Loop and button", type: "choice", choices: YES_NO, default: "yes" }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "asCut ? width : width + depth + 2 * seam + ease" },
    { name: "cutLength", is: "asCut ? length : length + depth + seam + inch(1/2)" },
    { name: "panelWidth", is: "cutWidth - inch(1)" },
    { name: "frontPanel", is: "cutLength - inch(7/4)" },
    { name: "backPanel", is: "cutLength - inch(3/4)" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutLength - seam" },
  pieces: [
    {
      name: "front side",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutLength",
      // The thumb notch, half round, 2 in wide and 1 in deep, in the middle of the upper edge.
      outline: [
        ["inch(0)", "inch(0)"],
        ["cutWidth", "inch(0)"],
        ["cutWidth", "cutLength"],
        ["cutWidth / 2 + inch(1)", "cutLength"],
        { centre: ["cutWidth / 2", "cutLength"], radius: "inch(1)", from: 0, to: -180 },
        ["cutWidth / 2 - inch(1)", "cutLength"],
        ["inch(0)", "cutLength"]
      ]
    },
    { name: "back side", role: "face", qty: 1, across: "cutWidth", along: "cutLength" },
    { name: "front panel", role: "contrast", qty: 1, across: "panelWidth", along: "frontPanel" },
    { name: "back panel", role: "contrast", qty: 1, across: "panelWidth", along: "backPanel" }
  ],
  strips: [],
  notions: [
    { name: "cord loop", qty: "1", when: "button == 'yes'", length: "inch(5)", note: "caught in the back\u2019s edge" },
    { name: "button", qty: "1", when: "button == 'yes'", note: "5/8 in below the thumb notch" }
  ],
  checks: [
    {
      code: "ease-range",
      field: "ease",
      level: "warn",
      when: "ease < inch(3/8) || ease > inch(1/2)",
      message: "An ease of {ease} is outside the usual 3/8 to 1/2 in; the device will stick or slip."
    },
    {
      code: "notch-wide",
      field: "width",
      level: "warn",
      when: "panelWidth < inch(3)",
      message: "A panel of {panelWidth} has no room for a thumb notch of 2 in."
    }
  ],
  steps: [
    {
      do: "Sew a test piece: neoprene wants more thread tension and a longer stitch.",
      stitch: "upholstery",
      caution: CAUTION.needle
    },
    { do: "Cut the parts and the half-round thumb notch.", caution: CAUTION.cutter },
    {
      do: "Stitch the contrast panels on; catch the cord loop in the back\u2019s edge.",
      stitch: "upholstery",
      when: "button == 'yes'",
      caution: CAUTION.small
    },
    { do: "Stitch the contrast panels on.", stitch: "upholstery", when: "button == 'no'" },
    {
      do: "Sew sides and bottom; sew the button on below the notch.",
      stitch: "upholstery",
      when: "button == 'yes'",
      caution: CAUTION.small
    },
    { do: "Sew sides and bottom.", stitch: "upholstery", when: "button == 'no'" },
    { do: "Check: the device slides in with its ease and does not fall out." }
  ]
};
var strapPad = {
  id: "strap-pad",
  letter: "P",
  name: "Strap pad",
  version: 2,
  about: "Two squares with fleece between, closed round a strap with snaps or tape.",
  drawing: "flat",
  object: "strap",
  fill: "firm",
  measures: [
    { id: "length", label: "Length", hint: "finished, along the strap", tape: "long" },
    { id: "width", label: "Width", hint: "finished, round the strap when open", tape: "across" }
  ],
  options: [
    seamOf("cm(1)", "cm(1)"),
    {
      id: "closure",
      label: "Closure",
      type: "choice",
      choices: [
        { id: "snaps", label: "snaps" },
        { id: "tape", label: "hook-and-loop" }
      ],
      default: "snaps"
    },
    { id: "snaps", label: "Snaps", type: "count", default: 3, when: "closure == 'snaps'" }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutLength", is: "length + allowance" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutLength - 2 * seam" },
  pieces: [
    { name: "outer", role: "face", qty: 1, across: "cutWidth", along: "cutLength" },
    { name: "inner", role: "back", qty: 1, across: "cutWidth", along: "cutLength" },
    { name: "fleece", role: "fleece", qty: 2, across: "cutWidth - 2 * seam", along: "cutLength - 2 * seam" }
  ],
  strips: [],
  notions: [
    {
      name: "snaps",
      qty: "snaps",
      when: "closure == 'snaps' && snaps > 0",
      note: "at {spread(snaps, length)} of the length, 1.5 cm in"
    },
    {
      name: "hook-and-loop",
      qty: "1",
      when: "closure == 'tape'",
      length: "length - cm(1)",
      note: "16 to 18 cm on an 18 cm pad"
    }
  ],
  checks: [
    {
      code: "snaps-even",
      field: "snaps",
      level: "warn",
      when: "closure == 'snaps' && snaps / 2 == whole(snaps / 2)",
      message: "An odd number of snaps puts one in the middle and closes without gaping; {snaps} is even."
    },
    {
      code: "narrow",
      field: "width",
      level: "warn",
      when: "width < cm(8)",
      message: "A width of {width} does not reach round a strap and close; 18 cm is usual."
    }
  ],
  steps: [
    cutStep,
    { do: "Fuse a fleece behind the outer and one behind the inner, out of the seams.", caution: CAUTION.iron },
    {
      do: "Right sides together, sew round at the seam allowance leaving a gap; turn, press, close.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Set the snaps, an odd number.", when: "closure == 'snaps'", caution: CAUTION.small },
    { do: "Sew the hook-and-loop on.", stitch: "seam", when: "closure == 'tape'" },
    { do: "Check: it closes flat.", caution: CAUTION.belt }
  ]
};
var foundClothCover = {
  id: "found-cloth-cover",
  letter: "Q",
  name: "Cover from a garment or found cloth",
  version: 2,
  about: "The print is placed first; existing hems become the opening\u2019s finished edges.",
  drawing: "envelope",
  object: "pad",
  fill: "soft",
  measures: [
    ...padMeasures,
    { id: "band", label: "Band", hint: "of the lower hem that makes the under-flap; 6 to 7 in", tape: "edge" }
  ],
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    { id: "stretch", label: "Knit that stretches", type: "choice", choices: YES_NO, default: "no" }
  ],
  defaultFit: "true",
  allowance: { true: "stretch == 'yes' ? inch(0) : 2 * seam" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    // One edge of the back and of the under-flap is the found hem: only the other takes a seam.
    { name: "back", is: "asCut || stretch == 'yes' ? height : height + seam" },
    { name: "underFlap", is: "asCut || stretch == 'yes' ? band : band + seam" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam", overlap: "band" },
  pieces: [
    { name: "front", role: "face", qty: 1, across: "cutWidth", along: "cutHeight" },
    { name: "back", role: "back", qty: 1, across: "cutWidth", along: "back" },
    { name: "under-flap", role: "back", qty: 1, across: "cutWidth", along: "underFlap" }
  ],
  strips: [],
  notions: [],
  checks: [
    {
      code: "band-short",
      field: "band",
      level: "warn",
      when: "band < inch(4)",
      message: "A band of {band} gapes; 6 to 7 in of the lower hem hold an 18 x 24 pillow."
    },
    {
      code: "band-over-panel",
      field: "band",
      level: "warn",
      when: "band > height",
      message: "A band of {band} is more than the cover\u2019s height of {height}."
    }
  ],
  steps: [
    { do: "Place the print on the front first; keep the found hems as the edges of back and under-flap." },
    cutStep,
    {
      do: "Lay front, under-flap and back together, hems at the opening, and sew three sides.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Turn with a blunt point and press.", caution: CAUTION.iron },
    { do: "Check: the print sits where it was placed, the flap holds." }
  ]
};

// src/core/covers/kinds/round-covers.ts
var disc = (diameter) => [
  { centre: [`${diameter} / 2`, `${diameter} / 2`], radius: `${diameter} / 2`, from: 0, to: 360 }
];
var curveChecks = [
  {
    code: "straight-on-curve",
    field: "grain",
    level: "warn",
    when: "piping != 'none' && grain == 'straight'",
    message: "Piping on straight grain does not bend round a curve; cut it on the bias."
  }
];
var roundCushion = {
  id: "round-cushion",
  letter: "",
  name: "Round boxed cushion",
  version: 2,
  about: "Two discs with boxing between; a zip panel runs round the back half.",
  drawing: "round",
  object: "round",
  fill: "firm",
  measures: [
    { id: "diameter", label: "Diameter", hint: "across the middle, at two places", tape: "diameter" },
    { id: "thickness", label: "Thickness", hint: "the foam\u2019s thickness", tape: "high" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    pipingChoice([
      { id: "top", label: "at the top" },
      { id: "both", label: "top and bottom" }
    ]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    ownZip,
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "2 * seam - inch(1/4)", overfull: "2 * seam - inch(1/2)" },
  results: [
    { name: "disc", is: "diameter + allowance" },
    { name: "run", is: "circumference(disc - 2 * seam)" },
    { name: "half", is: "run / 2 + 2 * seam" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "panelHalf", is: "asCut ? (thickness + 2 * seam) / 2 : (thickness + 4 * seam) / 2" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockUp(run / 2)" }
  ],
  finished: { width: "disc - 2 * seam", height: "disc - 2 * seam", thickness: "boxingHeight - 2 * seam" },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "disc",
      along: "disc",
      outline: disc("disc"),
      match: { anchor: ["disc / 2", "disc / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "disc",
      along: "disc",
      outline: disc("disc")
    },
    { name: "zip panel half", role: "boxing", qty: 2, across: "half", along: "panelHalf" }
  ],
  strips: [
    {
      name: "boxing",
      role: "boxing",
      qty: "1",
      width: "boxingHeight",
      length: "half",
      grain: "'straight'",
      loss: "2 * seam",
      least: "min(inch(12), half)"
    },
    piping("piping == 'both' ? 2 : 1", "piping != 'none'")
  ],
  notions: [
    { name: "zip", qty: "1", length: "zip", note: "coil, trimmed to fit" },
    cordNotion("piping == 'both' ? 2 : 1", "piping != 'none'"),
    { name: "foam", qty: "1", note: "{diameter} round x {thickness}" }
  ],
  centre: ["disc / 2", "disc / 2"],
  checks: [
    ...curveChecks,
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipShort("(run / 2)"),
    {
      code: "boxing-low",
      field: "thickness",
      level: "warn",
      when: "thickness < inch(1)",
      message: "A boxing of {thickness} is too low for a zip panel; 1 in is the least that takes a coil zip."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Join the piping strips at 45 degrees, wrap the cord and sew it round along the seam line; clip its allowance every inch.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping != 'none'",
      caution: CAUTION.needle
    },
    {
      do: "Press the long edge of each zip panel half under, lay both along the zip and stitch close to the fold.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.iron
    },
    {
      do: "Join zip panel and boxing into a ring; fold it in four and mark, and mark both discs in four.",
      stitch: "seam"
    },
    ...edgesSteps,
    {
      do: "Sew the ring to the top mark on mark, its allowance clipped to the stitch.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Open the zip half way, then sew the ring to the bottom.", stitch: "seam" },
    { do: "Turn, press the seams, fill with the foam.", caution: CAUTION.foam },
    { do: "Check: round without flats, the ring stands straight, the zip runs." }
  ]
};
var bolster = {
  id: "bolster",
  letter: "",
  name: "Bolster",
  version: 2,
  about: "A tube round the roll and a disc at each end; the zip lies in the tube\u2019s seam.",
  drawing: "bolster",
  object: "bolster",
  fill: "soft",
  measures: [
    { id: "diameter", label: "Diameter", hint: "of the end, across the middle", tape: "diameter" },
    { id: "length", label: "Length", hint: "from end seam to end seam", tape: "long" }
  ],
  options: [
    seamOf("inch(1/2)", "mm(15)"),
    pipingChoice([{ id: "ends", label: "round both ends" }]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    ownZip,
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "2 * seam - inch(1/2)" },
  results: [
    { name: "disc", is: "diameter + allowance" },
    { name: "run", is: "circumference(disc - 2 * seam)" },
    { name: "tube", is: "length + allowance" },
    { name: "around", is: "run + 2 * seam" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(tube - 2 * seam - inch(4))" }
  ],
  finished: { width: "tube - 2 * seam", height: "disc - 2 * seam" },
  pieces: [
    {
      name: "tube",
      role: "face",
      qty: 1,
      axes: ["side to side", "up and down"],
      across: "tube",
      along: "around",
      match: { anchor: ["tube / 2", "around / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    { name: "end", role: "contrast", qty: 2, across: "disc", along: "disc", outline: disc("disc") }
  ],
  strips: [piping("2", "piping != 'none'")],
  notions: [
    { name: "zip", qty: "1", when: "zip > inch(0)", length: "zip", note: "coil, in the tube\u2019s seam" },
    cordNotion("2", "piping != 'none'")
  ],
  centre: ["tube / 2", "around / 2"],
  checks: [
    ...curveChecks,
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipLong("(tube - 2 * seam)"),
    {
      code: "zip-none",
      field: "length",
      level: "warn",
      when: "zip == inch(0)",
      message: "No stock zip is 4 in shorter than a seam of {tube - 2 * seam}."
    }
  ],
  steps: [
    cutStep,
    {
      do: "Sew the piping round both ends of the tube\u2019s pattern line, its allowance clipped every inch.",
      stitch: "seam",
      foot: "piping foot",
      when: "piping != 'none'",
      caution: CAUTION.needle
    },
    {
      do: "Sew the tube\u2019s seam 2 in from each end, baste the rest, press it open and set the zip under it.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.iron
    },
    ...edgesSteps,
    {
      do: "Open the zip half way. Mark tube and ends in four and sew each end in, mark on mark.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Turn and fill.", caution: CAUTION.foam },
    { do: "Check: ends round without flats, the zip runs." }
  ]
};

// src/core/covers/kinds/strapped-pad.ts
var strappedPad = {
  id: "strapped-pad",
  letter: "H",
  name: "Boxed chair pad with straps",
  version: 2,
  about: "Top and bottom with boxing, closed at the back with hook-and-loop, held by straps.",
  drawing: "box",
  object: "block",
  fill: "firm",
  measures: [
    { id: "width", label: "Width", hint: "across the pad at its widest", tape: "front" },
    { id: "depth", label: "Depth", hint: "from the front edge to the back edge", tape: "deep" },
    { id: "thickness", label: "Thickness", hint: "the foam\u2019s thickness", tape: "high" }
  ],
  outline: { measure: "outline", across: "width", along: "depth", allowance: "seam" },
  options: [
    seamOf("inch(1)", "mm(25)"),
    { id: "straps", label: "Straps", type: "count", default: 2 },
    { id: "strapLength", label: "Strap length", type: "length", default: "inch(12)", hint: "by the chair" },
    {
      id: "return",
      label: "Return",
      type: "length",
      default: "inch(2)",
      hint: "how far the boxing turns round each back corner"
    }
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutDepth", is: "depth + allowance" },
    { name: "boxingHeight", is: "asCut ? thickness : thickness + 2 * seam" },
    { name: "strip", is: "traced ? perimeter - width + 2 * return : width + 2 * depth + 2 * return" },
    { name: "closureHalf", is: "boxingHeight / 2" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutDepth - 2 * seam", thickness: "boxingHeight - 2 * seam" },
  pieces: [
    {
      name: "top",
      role: "face",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutWidth",
      along: "cutDepth",
      isTraced: true,
      match: { anchor: ["cutWidth / 2", "cutDepth / 2"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "bottom",
      role: "back",
      qty: 1,
      axes: ["side to side", "front to back"],
      across: "cutWidth",
      along: "cutDepth",
      isTraced: true
    },
    { name: "closure, full width", role: "boxing", qty: 1, across: "cutWidth", along: "boxingHeight" },
    { name: "closure, half width", role: "boxing", qty: 1, across: "cutWidth", along: "closureHalf" },
    { name: "strap", role: "strap", qty: "straps", across: "strapLength", along: "thickness" }
  ],
  strips: [
    {
      name: "boxing",
      role: "boxing",
      qty: "1",
      width: "boxingHeight",
      length: "strip",
      grain: "'straight'",
      loss: "2 * seam",
      least: "min(inch(12), strip)"
    }
  ],
  notions: [
    { name: "hook-and-loop", qty: "1", length: "width", note: "along the back" },
    { name: "foam", qty: "1", note: "{width} x {depth} x {thickness}" }
  ],
  centre: ["cutWidth / 2", "cutDepth / 2"],
  checks: [
    {
      code: "boxing-low",
      field: "thickness",
      level: "warn",
      when: "closureHalf < inch(3/4)",
      message: "Half of a boxing of {boxingHeight} is too low for the tape; hook-and-loop is 3/4 in wide."
    }
  ],
  steps: [
    cutStep,
    { do: "Mark the centre of every part and snip the corners of the boxing." },
    {
      do: "Sew hook-and-loop to the two closure strips; fold and hem the straps.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    { do: "Sew the boxing round top and bottom, the straps caught in the back seam.", stitch: "seam" },
    { do: "Fill through the back.", caution: CAUTION.foam },
    { do: "Check: centre marks meet, corners full, the tape closes flat." }
  ]
};

// src/core/covers/kinds/wrap-cushion.ts
var wrapCushion = {
  id: "wrap-cushion",
  letter: "B",
  name: "Wrapped cushion in one piece",
  version: 2,
  about: "One strip goes round the pad; its hemmed ends overlap at the back.",
  drawing: "wrap",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "hem",
      label: "End hems",
      type: "hem",
      default: ["inch(1/4)", "inch(1)"],
      metric: ["mm(6)", "cm(2.5)"],
      hint: "one turn, or two with a +"
    },
    {
      id: "overlap",
      label: "Overlap",
      type: "length",
      default: "inch(4)",
      hint: "4 in on small pads, up to 3/4 of the height for easy filling"
    },
    edgesOption
  ],
  defaultFit: "true",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    // Top and bottom are folds, so the height takes only what the fit takes away.
    { name: "cutLength", is: "asCut ? height : 2 * (height + allowance - 2 * seam) + overlap + 2 * hem" }
  ],
  finished: {
    width: "cutWidth - 2 * seam",
    height: "asCut ? (cutLength - overlap - 2 * hem) / 2 : height + allowance - 2 * seam",
    overlap: "overlap"
  },
  pieces: [
    {
      name: "wrap",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutLength",
      match: { anchor: ["cutWidth / 2", "cutLength / 2"], delta: ["inch(0)", "inch(0)"] }
    }
  ],
  strips: [],
  notions: [],
  centre: ["cutWidth / 2", "cutLength / 2"],
  checks: [
    ...overlapChecks("overlap", "ends"),
    {
      code: "overlap-over-panel",
      field: "overlap",
      level: "warn",
      when: "!asCut && overlap > height",
      message: "An overlap of {overlap} is more than the back of {height}; make it less."
    }
  ],
  steps: [
    cutStep,
    { do: "Hem both short ends: press the turns, then stitch along the fold.", stitch: "seam", caution: CAUTION.iron },
    {
      do: "Fold the strip right sides together so that the ends overlap at the back and the outer flap reads upright."
    },
    {
      do: "Sew the two sides at the seam allowance; backstitch over the overlap.",
      stitch: "seam",
      caution: CAUTION.needle
    },
    ...edgesSteps,
    { do: "Turn with a blunt point and press.", caution: CAUTION.iron },
    { do: "Check: the outer flap reads upright, the overlap stays shut." }
  ]
};

// src/core/covers/kinds/zip-cushion.ts
var zipCushion = {
  id: "zip-cushion",
  letter: "C",
  name: "Cushion with a zip in the bottom seam",
  version: 2,
  about: "Two faces, usually cut snug, with a zip set into the bottom seam.",
  drawing: "flat",
  object: "pad",
  fill: "soft",
  measures: padMeasures,
  options: [
    seamOf("inch(1/2)", "cm(1)"),
    {
      id: "closedEnds",
      label: "Closed ends",
      type: "length",
      default: "inch(2)",
      hint: "the seam sewn shut at each end of the zip; 2 to 2 1/2 in"
    },
    closureOption,
    {
      id: "zipTeeth",
      when: ZIPPED,
      label: "Zip teeth",
      type: "choice",
      choices: [
        { id: "coil", label: "coil" },
        { id: "moulded", label: "moulded" },
        { id: "metal", label: "metal" }
      ],
      default: "coil"
    },
    { ...ownZip, when: ZIPPED },
    edgesOption
  ],
  defaultFit: "snug",
  allowance: { true: "2 * seam", snug: "inch(0)", overfull: "-inch(1)" },
  results: [
    { name: "cutWidth", is: "width + allowance" },
    { name: "cutHeight", is: "height + allowance" },
    { name: "opening", is: "width - 2 * closedEnds" },
    { name: "zip", is: "zipLengthGiven ? zipLength : stockDown(opening)" }
  ],
  finished: { width: "cutWidth - 2 * seam", height: "cutHeight - 2 * seam" },
  pieces: [
    {
      name: "front",
      role: "face",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    {
      name: "back",
      role: "back",
      qty: 1,
      across: "cutWidth",
      along: "cutHeight",
      match: { anchor: ["cutWidth / 2", "seam"], delta: ["inch(0)", "inch(0)"] }
    },
    tapeFacing("opening")
  ],
  strips: [],
  notions: [
    { name: "hook-and-loop", qty: "1", when: TAPED, length: "opening", note: "on the facings" },
    {
      name: "zip",
      qty: "1",
      when: `${ZIPPED} && zip > inch(0)`,
      length: "zip",
      note: "{zipTeeth}; marks {(width - min(zip, opening)) / 2} from each end of the seam"
    }
  ],
  centre: ["cutWidth / 2", "cutHeight / 2"],
  checks: [
    {
      code: "zip-uncut",
      field: "zipLength",
      level: "stop",
      when: "closure == 'zip' && zipLengthGiven && zipTeeth == 'metal' && zipLength > opening",
      message: "A metal zip of {zipLength} can\u2019t be cut down to the opening of {opening}; take a shorter one."
    },
    zipLong("(zipTeeth == 'metal' ? zipLength : opening)", ZIPPED),
    {
      code: "opening-none",
      field: "closedEnds",
      level: "stop",
      when: "opening <= inch(0)",
      message: "Two closed ends of {closedEnds} leave no opening in a {width} edge."
    },
    {
      code: "zip-none",
      field: "closedEnds",
      level: "warn",
      when: `${ZIPPED} && opening > inch(0) && zip == inch(0)`,
      message: "No stock zip is as short as the opening of {opening}; shorten the closed ends."
    },
    {
      code: "zip-metal",
      field: "zipTeeth",
      level: "warn",
      when: "closure == 'zip' && zipTeeth != 'coil' && zip > inch(0) && zip < opening",
      message: "A {zipTeeth} zip can\u2019t be shortened and must fit exactly: the {zip} zip leaves closed ends of {(width - zip) / 2}."
    },
    {
      code: "closed-ends",
      field: "closedEnds",
      level: "warn",
      when: "closedEnds > inch(3) && opening > inch(0)",
      message: "Closed ends of {closedEnds} make the opening hard to fill; 2 to 2 1/2 in is usual."
    }
  ],
  steps: [
    cutStep,
    ...edgesSteps,
    { do: "Mark the ends of the opening on the bottom seam." },
    {
      do: "Sew a facing to each side of the opening and hook-and-loop to the facings; sew the seam shut beyond the marks.",
      stitch: "seam",
      when: TAPED,
      caution: CAUTION.needle
    },
    {
      do: "Sew the bottom seam from each side to the zip marks, and baste the rest.",
      stitch: "seam",
      when: ZIPPED,
      caution: CAUTION.needle
    },
    {
      when: ZIPPED,
      do: "Press the seam open, centre the zip under it face down, and sew it in; take the basting out.",
      stitch: "seam",
      foot: "zip foot",
      caution: CAUTION.iron
    },
    { do: "Open the zip half way.", when: ZIPPED },
    { do: "Right sides together, sew the three other sides at the seam allowance.", stitch: "seam" },
    { do: "Clip the corners, turn with a blunt point, press and fill." },
    { do: "Check: the motif or stripe meets within 1/8 in, the opening shuts." }
  ]
};

// src/core/covers/kinds/index.ts
var KINDS = [
  envelopeCushion,
  wrapCushion,
  zipCushion,
  flapZipCushion,
  flangedCushion,
  floorCushion,
  boxedCushion,
  strappedPad,
  platformBoxed,
  platformNotched,
  pillowTopStool,
  paddedBookCover,
  hemmedBookCover,
  vinylBookCover,
  deviceSleeve,
  strapPad,
  foundClothCover,
  roundCushion,
  bolster
];
var FIRST_VERSION = 1;
var firstVersions = new Map(
  KINDS.map((kind) => [
    kind.id,
    {
      ...kind,
      version: FIRST_VERSION,
      options: kind.options.map(
        (option) => option.type === "length" || option.type === "hem" ? { ...option, metric: void 0 } : option
      ),
      pieces: kind.id === strapPad.id ? kind.pieces.map((p) => p.role === "fleece" ? { ...p, qty: 1 } : p) : kind.pieces
    }
  ])
);
function kindBook(own = [], withdrawn = []) {
  const newest = (id) => own.filter((kind) => kind.id === id).reduce((a, b) => a && a.version >= b.version ? a : b, void 0);
  const ids = [...new Set(own.map(({ id }) => id))].filter((id) => !withdrawn.includes(id));
  return {
    current: [...KINDS, ...ids.map((id) => newest(id))],
    find: (id, version) => (version === FIRST_VERSION ? firstVersions.get(id) : KINDS.find((kind) => kind.id === id)) ?? (version === void 0 ? newest(id) : own.find((kind) => kind.id === id && kind.version === version))
  };
}
var BUILT_IN = kindBook();

// src/core/length/units.ts
var NM = {
  in: 254e5,
  ft: 3048e5,
  yd: 9144e5,
  mm: 1e6,
  cm: 1e7,
  m: 1e9
};
var LONGEST = 1e6 * NM.in;
var inches = (value) => Math.round(value * NM.in);
var millimetres = (value) => Math.round(value * NM.mm);

// src/core/result.ts
var ok = (value) => ({ ok: true, value });
var refuse = (code, field, message2) => ({
  ok: false,
  faults: [{ code, field, message: message2 }]
});

// src/core/length/parse.ts
var VULGAR = {
  "\xBD": "1/2",
  "\u2153": "1/3",
  "\u2154": "2/3",
  "\xBC": "1/4",
  "\xBE": "3/4",
  "\u2155": "1/5",
  "\u2156": "2/5",
  "\u2157": "3/5",
  "\u2158": "4/5",
  "\u2159": "1/6",
  "\u215A": "5/6",
  "\u215B": "1/8",
  "\u215C": "3/8",
  "\u215D": "5/8",
  "\u215E": "7/8"
};
var UNIT_WORDS = {
  '"': "in",
  "\u2033": "in",
  "\u201D": "in",
  "''": "in",
  in: "in",
  ins: "in",
  inch: "in",
  inches: "in",
  "'": "ft",
  "\u2032": "ft",
  "\u2019": "ft",
  ft: "ft",
  foot: "ft",
  feet: "ft",
  yd: "yd",
  yds: "yd",
  yard: "yd",
  yards: "yd",
  mm: "mm",
  cm: "cm",
  m: "m",
  metre: "m",
  metres: "m",
  meter: "m",
  meters: "m"
};
var NEXT_SMALLER = { yd: "in", ft: "in", m: "cm", cm: "mm" };
var NUMBER = String.raw`\d+(?:[.,]\d+)?|\.\d+`;
var TERM = new RegExp(
  String.raw`\s*(?:(\d+)(?:\s+|\s*-\s*)(\d+)\s*/\s*(\d+)|(\d+)\s*/\s*(\d+)|(${NUMBER}))\s*(''|[a-z]+|["″”'′’])?\.?`,
  "y"
);
function parseLength(text, unit, field = "") {
  const nonsense = (why) => refuse("length", field, `${why}. Write it like 13 5/8, 2' 6" or 33.5 cm.`);
  const given = text.trim();
  if (given === "") return refuse("length-missing", field, "A length is needed here.");
  const shown2 = given.length > 40 ? `${given.slice(0, 37)}...` : given;
  if (given.length > 60) return nonsense(`\u201C${shown2}\u201D is too long to be a length`);
  if (/^[-−–]/.test(given))
    return refuse("length-negative", field, `\u201C${shown2}\u201D is negative; a length is zero or more.`);
  const plain = given.replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`).replace(/⁄/g, "/").replace(/[\u00a0\u2009\u202f]/g, " ").trim().toLowerCase();
  let total = { over: 0n, under: 1n };
  let last;
  let at = 0;
  for (let terms = 0; at < plain.length; terms++) {
    TERM.lastIndex = at;
    const found = TERM.exec(plain);
    if (!found) return nonsense(`\u201C${shown2}\u201D is not a length`);
    at = TERM.lastIndex;
    const [, whole2, over, under, bareOver, bareUnder, decimal, word2] = found;
    if (decimal && /,\d{3}$/.test(decimal)) {
      return nonsense(`\u201C${shown2}\u201D could mean a thousand or a decimal; write it without the comma`);
    }
    if (under === "0" || bareUnder === "0" || /^0+$/.test(under ?? bareUnder ?? "1"))
      return nonsense(`\u201C${shown2}\u201D divides by zero`);
    const own = word2 === void 0 ? terms === 0 ? unit : last && NEXT_SMALLER[last] : UNIT_WORDS[word2];
    if (word2 !== void 0 && !own) return nonsense(`\u201C${word2}\u201D in \u201C${shown2}\u201D is not a unit of length`);
    if (!own || terms > 0 && (last === void 0 || NM[own] >= NM[last]))
      return nonsense(`\u201C${shown2}\u201D is not one length`);
    if (terms > 0 && word2 === void 0 && plain.slice(at).trim() !== "")
      return nonsense(`\u201C${shown2}\u201D is not one length`);
    const value = whole2 ? plus({ over: BigInt(whole2), under: 1n }, { over: BigInt(over), under: BigInt(under) }) : bareOver ? { over: BigInt(bareOver), under: BigInt(bareUnder) } : fromDecimal(decimal.replace(",", "."));
    total = plus(total, { over: value.over * BigInt(NM[own]), under: value.under });
    last = word2 === void 0 && terms === 0 ? void 0 : own;
  }
  if (total.over > total.under * BigInt(LONGEST))
    return refuse("length-huge", field, `\u201C${shown2}\u201D is longer than 1,000,000 inches.`);
  return ok(Number((2n * total.over + total.under) / (2n * total.under)));
}
var plus = (a, b) => ({
  over: a.over * b.under + b.over * a.under,
  under: a.under * b.under
});
function fromDecimal(text) {
  const [whole2 = "", decimals = ""] = text.split(".");
  return { over: BigInt(whole2 + decimals || "0"), under: 10n ** BigInt(decimals.length) };
}

// src/core/length/print.ts
var ROUNDED = "\u2248 ";
var DECIMALS = { mm: 2, cm: 3, m: 5 };
function printNumber(length2, { unit, denominator = 16 }) {
  const sign = length2 < 0 ? "-" : "";
  const size = Math.abs(length2);
  const decimals = DECIMALS[unit];
  if (decimals !== void 0) {
    const step = NM[unit] / 10 ** decimals;
    const steps2 = Math.round(size / step);
    const exact2 = steps2 * step === size;
    return { text: `${exact2 ? "" : ROUNDED}${sign}${decimalText(steps2, decimals)}`, exact: exact2 };
  }
  const steps = Math.round(size * denominator / NM[unit]);
  const exact = steps * NM[unit] / denominator === size;
  return { text: `${exact ? "" : ROUNDED}${sign}${fractionText(steps, denominator)}`, exact };
}
function decimalText(steps, decimals) {
  const digits = String(steps).padStart(decimals + 1, "0");
  const rest = digits.slice(-decimals).replace(/0+$/, "");
  return digits.slice(0, -decimals) + (rest ? `.${rest}` : "");
}
function fractionText(steps, denominator) {
  const whole2 = Math.floor(steps / denominator);
  const over = steps % denominator;
  if (over === 0) return String(whole2);
  const common = greatestCommon(over, denominator);
  const fraction = `${over / common}/${denominator / common}`;
  return whole2 === 0 ? fraction : `${whole2} ${fraction}`;
}
var greatestCommon = (a, b) => b === 0 ? a : greatestCommon(b, a % b);
var printLength = (length2, style) => `${printNumber(length2, style).text} ${style.unit}`;
var STYLES = { in: { unit: "in", denominator: 16 }, mm: { unit: "cm" } };

// node_modules/jsep/dist/jsep.js
var Hooks = class {
  /**
   * @callback HookCallback
   * @this {*|Jsep} this
   * @param {Jsep} env
   * @returns: void
   */
  /**
   * Adds the given callback to the list of callbacks for the given hook.
   *
   * The callback will be invoked when the hook it is registered for is run.
   *
   * One callback function can be registered to multiple hooks and the same hook multiple times.
   *
   * @param {string|object} name The name of the hook, or an object of callbacks keyed by name
   * @param {HookCallback|boolean} callback The callback function which is given environment variables.
   * @param {?boolean} [first=false] Will add the hook to the top of the list (defaults to the bottom)
   * @public
   */
  add(name, callback, first) {
    if (typeof arguments[0] != "string") {
      for (let name2 in arguments[0]) {
        this.add(name2, arguments[0][name2], arguments[1]);
      }
    } else {
      (Array.isArray(name) ? name : [name]).forEach(function(name2) {
        this[name2] = this[name2] || [];
        if (callback) {
          this[name2][first ? "unshift" : "push"](callback);
        }
      }, this);
    }
  }
  /**
   * Runs a hook invoking all registered callbacks with the given environment variables.
   *
   * Callbacks will be invoked synchronously and in the order in which they were registered.
   *
   * @param {string} name The name of the hook.
   * @param {Object<string, any>} env The environment variables of the hook passed to all callbacks registered.
   * @public
   */
  run(name, env) {
    this[name] = this[name] || [];
    this[name].forEach(function(callback) {
      callback.call(env && env.context ? env.context : env, env);
    });
  }
};
var Plugins = class {
  constructor(jsep2) {
    this.jsep = jsep2;
    this.registered = {};
  }
  /**
   * @callback PluginSetup
   * @this {Jsep} jsep
   * @returns: void
   */
  /**
   * Adds the given plugin(s) to the registry
   *
   * @param {object} plugins
   * @param {string} plugins.name The name of the plugin
   * @param {PluginSetup} plugins.init The init function
   * @public
   */
  register(...plugins) {
    plugins.forEach((plugin) => {
      if (typeof plugin !== "object" || !plugin.name || !plugin.init) {
        throw new Error("Invalid JSEP plugin format");
      }
      if (this.registered[plugin.name]) {
        return;
      }
      plugin.init(this.jsep);
      this.registered[plugin.name] = plugin;
    });
  }
};
var Jsep = class _Jsep {
  /**
   * @returns {string}
   */
  static get version() {
    return "1.6.0";
  }
  /**
   * @returns {string}
   */
  static toString() {
    return "JavaScript Expression Parser (JSEP) v" + _Jsep.version;
  }
  // ==================== CONFIG ================================
  /**
   * @method addUnaryOp
   * @param {string} op_name The name of the unary op to add
   * @returns {Jsep}
   */
  static addUnaryOp(op_name) {
    _Jsep.max_unop_len = Math.max(op_name.length, _Jsep.max_unop_len);
    _Jsep.unary_ops[op_name] = 1;
    return _Jsep;
  }
  /**
   * @method jsep.addBinaryOp
   * @param {string} op_name The name of the binary op to add
   * @param {number} precedence The precedence of the binary op (can be a float). Higher number = higher precedence
   * @param {boolean} [isRightAssociative=false] whether operator is right-associative
   * @returns {Jsep}
   */
  static addBinaryOp(op_name, precedence, isRightAssociative) {
    _Jsep.max_binop_len = Math.max(op_name.length, _Jsep.max_binop_len);
    _Jsep.binary_ops[op_name] = precedence;
    if (isRightAssociative) {
      _Jsep.right_associative.add(op_name);
    } else {
      _Jsep.right_associative.delete(op_name);
    }
    return _Jsep;
  }
  /**
   * @method addIdentifierChar
   * @param {string} char The additional character to treat as a valid part of an identifier
   * @returns {Jsep}
   */
  static addIdentifierChar(char) {
    _Jsep.additional_identifier_chars.add(char);
    return _Jsep;
  }
  /**
   * @method addLiteral
   * @param {string} literal_name The name of the literal to add
   * @param {*} literal_value The value of the literal
   * @returns {Jsep}
   */
  static addLiteral(literal_name, literal_value) {
    _Jsep.literals[literal_name] = literal_value;
    return _Jsep;
  }
  /**
   * @method removeUnaryOp
   * @param {string} op_name The name of the unary op to remove
   * @returns {Jsep}
   */
  static removeUnaryOp(op_name) {
    delete _Jsep.unary_ops[op_name];
    if (op_name.length === _Jsep.max_unop_len) {
      _Jsep.max_unop_len = _Jsep.getMaxKeyLen(_Jsep.unary_ops);
    }
    return _Jsep;
  }
  /**
   * @method removeAllUnaryOps
   * @returns {Jsep}
   */
  static removeAllUnaryOps() {
    _Jsep.unary_ops = {};
    _Jsep.max_unop_len = 0;
    return _Jsep;
  }
  /**
   * @method removeIdentifierChar
   * @param {string} char The additional character to stop treating as a valid part of an identifier
   * @returns {Jsep}
   */
  static removeIdentifierChar(char) {
    _Jsep.additional_identifier_chars.delete(char);
    return _Jsep;
  }
  /**
   * @method removeBinaryOp
   * @param {string} op_name The name of the binary op to remove
   * @returns {Jsep}
   */
  static removeBinaryOp(op_name) {
    delete _Jsep.binary_ops[op_name];
    if (op_name.length === _Jsep.max_binop_len) {
      _Jsep.max_binop_len = _Jsep.getMaxKeyLen(_Jsep.binary_ops);
    }
    _Jsep.right_associative.delete(op_name);
    return _Jsep;
  }
  /**
   * @method removeAllBinaryOps
   * @returns {Jsep}
   */
  static removeAllBinaryOps() {
    _Jsep.binary_ops = {};
    _Jsep.max_binop_len = 0;
    return _Jsep;
  }
  /**
   * @method removeLiteral
   * @param {string} literal_name The name of the literal to remove
   * @returns {Jsep}
   */
  static removeLiteral(literal_name) {
    delete _Jsep.literals[literal_name];
    return _Jsep;
  }
  /**
   * @method removeAllLiterals
   * @returns {Jsep}
   */
  static removeAllLiterals() {
    _Jsep.literals = {};
    return _Jsep;
  }
  // ==================== END CONFIG ============================
  /**
   * @returns {string}
   */
  get char() {
    return this.expr.charAt(this.index);
  }
  /**
   * @returns {number}
   */
  get code() {
    return this.expr.charCodeAt(this.index);
  }
  /**
   * @param {string} expr a string with the passed in express
   * @returns Jsep
   */
  constructor(expr) {
    this.expr = expr;
    this.index = 0;
  }
  /**
   * static top-level parser
   * @returns {jsep.Expression}
   */
  static parse(expr) {
    return new _Jsep(expr).parse();
  }
  /**
   * Get the longest key length of any object
   * @param {object} obj
   * @returns {number}
   */
  static getMaxKeyLen(obj) {
    return Math.max(0, ...Object.keys(obj).map((k) => k.length));
  }
  /**
   * `ch` is a character code in the next three functions
   * @param {number} ch
   * @returns {boolean}
   */
  static isDecimalDigit(ch) {
    return ch >= 48 && ch <= 57;
  }
  /**
   * Returns the precedence of a binary operator or `0` if it isn't a binary operator. Can be float.
   * @param {string} op_val
   * @returns {number}
   */
  static binaryPrecedence(op_val) {
    return _Jsep.binary_ops[op_val] || 0;
  }
  /**
   * Looks for start of identifier
   * @param {number} ch
   * @returns {boolean}
   */
  static isIdentifierStart(ch) {
    return ch >= 65 && ch <= 90 || // A...Z
    ch >= 97 && ch <= 122 || // a...z
    ch >= 128 && !_Jsep.binary_ops[String.fromCharCode(ch)] || // any non-ASCII that is not an operator
    _Jsep.additional_identifier_chars.has(String.fromCharCode(ch));
  }
  /**
   * @param {number} ch
   * @returns {boolean}
   */
  static isIdentifierPart(ch) {
    return _Jsep.isIdentifierStart(ch) || _Jsep.isDecimalDigit(ch);
  }
  /**
   * throw error at index of the expression
   * @param {string} message
   * @throws
   */
  throwError(message2) {
    const error = new Error(message2 + " at character " + this.index);
    error.index = this.index;
    error.description = message2;
    throw error;
  }
  /**
   * Run a given hook
   * @param {string} name
   * @param {jsep.Expression|false} [node]
   * @returns {?jsep.Expression}
   */
  runHook(name, node) {
    if (_Jsep.hooks[name]) {
      const env = { context: this, node };
      _Jsep.hooks.run(name, env);
      return env.node;
    }
    return node;
  }
  /**
   * Runs a given hook until one returns a node
   * @param {string} name
   * @returns {?jsep.Expression}
   */
  searchHook(name) {
    if (_Jsep.hooks[name]) {
      const env = { context: this };
      _Jsep.hooks[name].find(function(callback) {
        callback.call(env.context, env);
        return env.node;
      });
      return env.node;
    }
  }
  /**
   * Push `index` up to the next non-space character
   */
  gobbleSpaces() {
    let ch = this.code;
    while (ch === _Jsep.SPACE_CODE || ch === _Jsep.TAB_CODE || ch === _Jsep.LF_CODE || ch === _Jsep.CR_CODE) {
      ch = this.expr.charCodeAt(++this.index);
    }
    this.runHook("gobble-spaces");
  }
  /**
   * Top-level method to parse all expressions and returns compound or single node
   * @returns {jsep.Expression}
   */
  parse() {
    this.runHook("before-all");
    const nodes = this.gobbleExpressions();
    const node = nodes.length === 1 ? nodes[0] : {
      type: _Jsep.COMPOUND,
      body: nodes
    };
    return this.runHook("after-all", node);
  }
  /**
   * top-level parser (but can be reused within as well)
   * @param {number} [untilICode]
   * @returns {jsep.Expression[]}
   */
  gobbleExpressions(untilICode) {
    let nodes = [], ch_i, node;
    while (this.index < this.expr.length) {
      ch_i = this.code;
      if (ch_i === _Jsep.SEMCOL_CODE || ch_i === _Jsep.COMMA_CODE) {
        this.index++;
      } else {
        if (node = this.gobbleExpression()) {
          nodes.push(node);
        } else if (this.index < this.expr.length) {
          if (ch_i === untilICode) {
            break;
          }
          this.throwError('Unexpected "' + this.char + '"');
        }
      }
    }
    return nodes;
  }
  /**
   * The main parsing function.
   * @returns {?jsep.Expression}
   */
  gobbleExpression() {
    const node = this.searchHook("gobble-expression") || this.gobbleBinaryExpression();
    this.gobbleSpaces();
    return this.runHook("after-expression", node);
  }
  /**
   * Search for the operation portion of the string (e.g. `+`, `===`)
   * Start by taking the longest possible binary operations (3 characters: `===`, `!==`, `>>>`)
   * and move down from 3 to 2 to 1 character until a matching binary operation is found
   * then, return that binary operation
   * @returns {string|boolean}
   */
  gobbleBinaryOp() {
    this.gobbleSpaces();
    let to_check = this.expr.substr(this.index, _Jsep.max_binop_len);
    let tc_len = to_check.length;
    while (tc_len > 0) {
      if (_Jsep.binary_ops.hasOwnProperty(to_check) && (!_Jsep.isIdentifierStart(this.code) || this.index + to_check.length < this.expr.length && !_Jsep.isIdentifierPart(this.expr.charCodeAt(this.index + to_check.length)))) {
        this.index += tc_len;
        return to_check;
      }
      to_check = to_check.substr(0, --tc_len);
    }
    return false;
  }
  /**
   * This function is responsible for gobbling an individual expression,
   * e.g. `1`, `1+2`, `a+(b*2)-Math.sqrt(2)`
   * @returns {?jsep.BinaryExpression}
   */
  gobbleBinaryExpression() {
    let node, biop, prec, stack, biop_info, left, right, i, cur_biop;
    left = this.gobbleToken();
    if (!left) {
      return left;
    }
    biop = this.gobbleBinaryOp();
    if (!biop) {
      return left;
    }
    biop_info = { value: biop, prec: _Jsep.binaryPrecedence(biop), right_a: _Jsep.right_associative.has(biop) };
    right = this.gobbleToken();
    if (!right) {
      this.throwError("Expected expression after " + biop);
    }
    stack = [left, biop_info, right];
    while (biop = this.gobbleBinaryOp()) {
      prec = _Jsep.binaryPrecedence(biop);
      if (prec === 0) {
        this.index -= biop.length;
        break;
      }
      biop_info = { value: biop, prec, right_a: _Jsep.right_associative.has(biop) };
      cur_biop = biop;
      const comparePrev = (prev) => biop_info.right_a && prev.right_a ? prec > prev.prec : prec <= prev.prec;
      while (stack.length > 2 && comparePrev(stack[stack.length - 2])) {
        right = stack.pop();
        biop = stack.pop().value;
        left = stack.pop();
        node = {
          type: _Jsep.BINARY_EXP,
          operator: biop,
          left,
          right
        };
        stack.push(node);
      }
      node = this.gobbleToken();
      if (!node) {
        this.throwError("Expected expression after " + cur_biop);
      }
      stack.push(biop_info, node);
    }
    i = stack.length - 1;
    node = stack[i];
    while (i > 1) {
      node = {
        type: _Jsep.BINARY_EXP,
        operator: stack[i - 1].value,
        left: stack[i - 2],
        right: node
      };
      i -= 2;
    }
    return node;
  }
  /**
   * An individual part of a binary expression:
   * e.g. `foo.bar(baz)`, `1`, `"abc"`, `(a % 2)` (because it's in parenthesis)
   * @returns {boolean|jsep.Expression}
   */
  gobbleToken() {
    let ch, to_check, tc_len, node;
    this.gobbleSpaces();
    node = this.searchHook("gobble-token");
    if (node) {
      return this.runHook("after-token", node);
    }
    ch = this.code;
    if (_Jsep.isDecimalDigit(ch) || ch === _Jsep.PERIOD_CODE) {
      return this.gobbleNumericLiteral();
    }
    if (ch === _Jsep.SQUOTE_CODE || ch === _Jsep.DQUOTE_CODE) {
      node = this.gobbleStringLiteral();
    } else if (ch === _Jsep.OBRACK_CODE) {
      node = this.gobbleArray();
    } else {
      to_check = this.expr.substr(this.index, _Jsep.max_unop_len);
      tc_len = to_check.length;
      while (tc_len > 0) {
        if (_Jsep.unary_ops.hasOwnProperty(to_check) && (!_Jsep.isIdentifierStart(this.code) || this.index + to_check.length < this.expr.length && !_Jsep.isIdentifierPart(this.expr.charCodeAt(this.index + to_check.length)))) {
          this.index += tc_len;
          const argument = this.gobbleToken();
          if (!argument) {
            this.throwError("missing unaryOp argument");
          }
          return this.runHook("after-token", {
            type: _Jsep.UNARY_EXP,
            operator: to_check,
            argument,
            prefix: true
          });
        }
        to_check = to_check.substr(0, --tc_len);
      }
      if (_Jsep.isIdentifierStart(ch)) {
        node = this.gobbleIdentifier();
        if (_Jsep.literals.hasOwnProperty(node.name)) {
          node = {
            type: _Jsep.LITERAL,
            value: _Jsep.literals[node.name],
            raw: node.name
          };
        } else if (node.name === _Jsep.this_str) {
          node = { type: _Jsep.THIS_EXP };
        }
      } else if (ch === _Jsep.OPAREN_CODE) {
        node = this.gobbleGroup();
      }
    }
    if (!node) {
      return this.runHook("after-token", false);
    }
    node = this.gobbleTokenProperty(node);
    return this.runHook("after-token", node);
  }
  /**
   * Gobble properties of of identifiers/strings/arrays/groups.
   * e.g. `foo`, `bar.baz`, `foo['bar'].baz`
   * It also gobbles function calls:
   * e.g. `Math.acos(obj.angle)`
   * @param {jsep.Expression} node
   * @returns {jsep.Expression}
   */
  gobbleTokenProperty(node) {
    this.gobbleSpaces();
    let ch = this.code;
    while (ch === _Jsep.PERIOD_CODE || ch === _Jsep.OBRACK_CODE || ch === _Jsep.OPAREN_CODE || ch === _Jsep.QUMARK_CODE) {
      let optional;
      if (ch === _Jsep.QUMARK_CODE) {
        if (this.expr.charCodeAt(this.index + 1) !== _Jsep.PERIOD_CODE) {
          break;
        }
        optional = true;
        this.index += 2;
        this.gobbleSpaces();
        ch = this.code;
      }
      this.index++;
      if (ch === _Jsep.OBRACK_CODE) {
        node = {
          type: _Jsep.MEMBER_EXP,
          computed: true,
          object: node,
          property: this.gobbleExpression()
        };
        if (!node.property) {
          this.throwError('Unexpected "' + this.char + '"');
        }
        this.gobbleSpaces();
        ch = this.code;
        if (ch !== _Jsep.CBRACK_CODE) {
          this.throwError("Unclosed [");
        }
        this.index++;
      } else if (ch === _Jsep.OPAREN_CODE) {
        node = {
          type: _Jsep.CALL_EXP,
          "arguments": this.gobbleArguments(_Jsep.CPAREN_CODE),
          callee: node
        };
      } else if (ch === _Jsep.PERIOD_CODE || optional) {
        if (optional) {
          this.index--;
        }
        this.gobbleSpaces();
        node = {
          type: _Jsep.MEMBER_EXP,
          computed: false,
          object: node,
          property: this.gobbleIdentifier()
        };
      }
      if (optional) {
        node.optional = true;
      }
      this.gobbleSpaces();
      ch = this.code;
    }
    return node;
  }
  /**
   * Parse simple numeric literals: `12`, `3.4`, `.5`. Do this by using a string to
   * keep track of everything in the numeric literal and then calling `parseFloat` on that string
   * @returns {jsep.Literal}
   */
  gobbleNumericLiteral() {
    let number2 = "", ch, chCode;
    while (_Jsep.isDecimalDigit(this.code)) {
      number2 += this.expr.charAt(this.index++);
    }
    if (this.code === _Jsep.PERIOD_CODE) {
      number2 += this.expr.charAt(this.index++);
      while (_Jsep.isDecimalDigit(this.code)) {
        number2 += this.expr.charAt(this.index++);
      }
    }
    ch = this.char;
    if (ch === "e" || ch === "E") {
      number2 += this.expr.charAt(this.index++);
      ch = this.char;
      if (ch === "+" || ch === "-") {
        number2 += this.expr.charAt(this.index++);
      }
      while (_Jsep.isDecimalDigit(this.code)) {
        number2 += this.expr.charAt(this.index++);
      }
      if (!_Jsep.isDecimalDigit(this.expr.charCodeAt(this.index - 1))) {
        this.throwError("Expected exponent (" + number2 + this.char + ")");
      }
    }
    chCode = this.code;
    if (_Jsep.isIdentifierStart(chCode)) {
      this.throwError("Variable names cannot start with a number (" + number2 + this.char + ")");
    } else if (chCode === _Jsep.PERIOD_CODE || number2.length === 1 && number2.charCodeAt(0) === _Jsep.PERIOD_CODE) {
      this.throwError("Unexpected period");
    }
    return {
      type: _Jsep.LITERAL,
      value: parseFloat(number2),
      raw: number2
    };
  }
  /**
   * Parses a string literal, staring with single or double quotes with basic support for escape codes
   * e.g. `"hello world"`, `'this is\nJSEP'`
   * @returns {jsep.Literal}
   */
  gobbleStringLiteral() {
    let str = "";
    const startIndex = this.index;
    const quote = this.expr.charAt(this.index++);
    let closed = false;
    while (this.index < this.expr.length) {
      let ch = this.expr.charAt(this.index++);
      if (ch === quote) {
        closed = true;
        break;
      } else if (ch === "\\") {
        ch = this.expr.charAt(this.index++);
        switch (ch) {
          case "n":
            str += "\n";
            break;
          case "r":
            str += "\r";
            break;
          case "t":
            str += "	";
            break;
          case "b":
            str += "\b";
            break;
          case "f":
            str += "\f";
            break;
          case "v":
            str += "\v";
            break;
          default:
            str += ch;
        }
      } else {
        str += ch;
      }
    }
    if (!closed) {
      this.throwError('Unclosed quote after "' + str + '"');
    }
    return {
      type: _Jsep.LITERAL,
      value: str,
      raw: this.expr.substring(startIndex, this.index)
    };
  }
  /**
   * Gobbles only identifiers
   * e.g.: `foo`, `_value`, `$x1`
   * Also, this function checks if that identifier is a literal:
   * (e.g. `true`, `false`, `null`) or `this`
   * @returns {jsep.Identifier}
   */
  gobbleIdentifier() {
    let ch = this.code, start = this.index;
    if (_Jsep.isIdentifierStart(ch)) {
      this.index++;
    } else {
      this.throwError("Unexpected " + this.char);
    }
    while (this.index < this.expr.length) {
      ch = this.code;
      if (_Jsep.isIdentifierPart(ch)) {
        this.index++;
      } else {
        break;
      }
    }
    return {
      type: _Jsep.IDENTIFIER,
      name: this.expr.slice(start, this.index)
    };
  }
  /**
   * Gobbles a list of arguments within the context of a function call
   * or array literal. This function also assumes that the opening character
   * `(` or `[` has already been gobbled, and gobbles expressions and commas
   * until the terminator character `)` or `]` is encountered.
   * e.g. `foo(bar, baz)`, `my_func()`, or `[bar, baz]`
   * @param {number} termination
   * @returns {jsep.Expression[]}
   */
  gobbleArguments(termination) {
    const args = [];
    let closed = false;
    let separator_count = 0;
    while (this.index < this.expr.length) {
      this.gobbleSpaces();
      let ch_i = this.code;
      if (ch_i === termination) {
        closed = true;
        this.index++;
        if (termination === _Jsep.CPAREN_CODE && separator_count && separator_count >= args.length) {
          this.throwError("Unexpected token " + String.fromCharCode(termination));
        }
        break;
      } else if (ch_i === _Jsep.COMMA_CODE) {
        this.index++;
        separator_count++;
        if (separator_count !== args.length) {
          if (termination === _Jsep.CPAREN_CODE) {
            this.throwError("Unexpected token ,");
          } else if (termination === _Jsep.CBRACK_CODE) {
            for (let arg = args.length; arg < separator_count; arg++) {
              args.push(null);
            }
          }
        }
      } else if (args.length !== separator_count && separator_count !== 0) {
        this.throwError("Expected comma");
      } else {
        const node = this.gobbleExpression();
        if (!node || node.type === _Jsep.COMPOUND) {
          this.throwError("Expected comma");
        }
        args.push(node);
      }
    }
    if (!closed) {
      this.throwError("Expected " + String.fromCharCode(termination));
    }
    return args;
  }
  /**
   * Responsible for parsing a group of things within parentheses `()`
   * that have no identifier in front (so not a function call)
   * This function assumes that it needs to gobble the opening parenthesis
   * and then tries to gobble everything within that parenthesis, assuming
   * that the next thing it should see is the close parenthesis. If not,
   * then the expression probably doesn't have a `)`
   * @returns {boolean|jsep.Expression}
   */
  gobbleGroup() {
    this.index++;
    let nodes = this.gobbleExpressions(_Jsep.CPAREN_CODE);
    if (this.code === _Jsep.CPAREN_CODE) {
      this.index++;
      if (nodes.length === 1) {
        return nodes[0];
      } else if (!nodes.length) {
        return false;
      } else {
        return {
          type: _Jsep.SEQUENCE_EXP,
          expressions: nodes
        };
      }
    } else {
      this.throwError("Unclosed (");
    }
  }
  /**
   * Responsible for parsing Array literals `[1, 2, 3]`
   * This function assumes that it needs to gobble the opening bracket
   * and then tries to gobble the expressions as arguments.
   * @returns {jsep.ArrayExpression}
   */
  gobbleArray() {
    this.index++;
    return {
      type: _Jsep.ARRAY_EXP,
      elements: this.gobbleArguments(_Jsep.CBRACK_CODE)
    };
  }
};
var hooks = new Hooks();
Object.assign(Jsep, {
  hooks,
  plugins: new Plugins(Jsep),
  // Node Types
  // ----------
  // This is the full set of types that any JSEP node can be.
  // Store them here to save space when minified
  COMPOUND: "Compound",
  SEQUENCE_EXP: "SequenceExpression",
  IDENTIFIER: "Identifier",
  MEMBER_EXP: "MemberExpression",
  LITERAL: "Literal",
  THIS_EXP: "ThisExpression",
  CALL_EXP: "CallExpression",
  UNARY_EXP: "UnaryExpression",
  BINARY_EXP: "BinaryExpression",
  ARRAY_EXP: "ArrayExpression",
  TAB_CODE: 9,
  LF_CODE: 10,
  CR_CODE: 13,
  SPACE_CODE: 32,
  PERIOD_CODE: 46,
  // '.'
  COMMA_CODE: 44,
  // ','
  SQUOTE_CODE: 39,
  // single quote
  DQUOTE_CODE: 34,
  // double quotes
  OPAREN_CODE: 40,
  // (
  CPAREN_CODE: 41,
  // )
  OBRACK_CODE: 91,
  // [
  CBRACK_CODE: 93,
  // ]
  QUMARK_CODE: 63,
  // ?
  SEMCOL_CODE: 59,
  // ;
  COLON_CODE: 58,
  // :
  // Operations
  // ----------
  // Use a quickly-accessible map to store all of the unary operators
  // Values are set to `1` (it really doesn't matter)
  unary_ops: {
    "-": 1,
    "!": 1,
    "~": 1,
    "+": 1
  },
  // Also use a map for the binary operations but set their values to their
  // binary precedence for quick reference (higher number = higher precedence)
  // see [Order of operations](https://developer.mozilla.org/en-US/docs/Web/JavaScript/Reference/Operators/Operator_Precedence)
  binary_ops: {
    "||": 1,
    "??": 1,
    "&&": 2,
    "|": 3,
    "^": 4,
    "&": 5,
    "==": 6,
    "!=": 6,
    "===": 6,
    "!==": 6,
    "<": 7,
    ">": 7,
    "<=": 7,
    ">=": 7,
    "<<": 8,
    ">>": 8,
    ">>>": 8,
    "+": 9,
    "-": 9,
    "*": 10,
    "/": 10,
    "%": 10,
    "**": 11
  },
  // sets specific binary_ops as right-associative
  right_associative: /* @__PURE__ */ new Set(["**"]),
  // Additional valid identifier chars, apart from a-z, A-Z and 0-9 (except on the starting char)
  additional_identifier_chars: /* @__PURE__ */ new Set(["$", "_"]),
  // Literals
  // ----------
  // Store the values to return for the various literals we may encounter
  literals: {
    "true": true,
    "false": false,
    "null": null
  },
  // Except for `this`, which is special. This could be changed to something like `'self'` as well
  this_str: "this"
});
Jsep.max_unop_len = Jsep.getMaxKeyLen(Jsep.unary_ops);
Jsep.max_binop_len = Jsep.getMaxKeyLen(Jsep.binary_ops);
var jsep = (expr) => new Jsep(expr).parse();
var stdClassProps = Object.getOwnPropertyNames(class Test {
});
Object.getOwnPropertyNames(Jsep).filter((prop) => !stdClassProps.includes(prop) && jsep[prop] === void 0).forEach((m) => {
  jsep[m] = Jsep[m];
});
jsep.Jsep = Jsep;
var CONDITIONAL_EXP = "ConditionalExpression";
var ternary = {
  name: "ternary",
  init(jsep2) {
    jsep2.hooks.add("after-expression", function gobbleTernary(env) {
      if (env.node && this.code === jsep2.QUMARK_CODE) {
        this.index++;
        const test = env.node;
        const consequent = this.gobbleExpression();
        if (!consequent) {
          this.throwError("Expected expression");
        }
        this.gobbleSpaces();
        if (this.code === jsep2.COLON_CODE) {
          this.index++;
          const alternate = this.gobbleExpression();
          if (!alternate) {
            this.throwError("Expected expression");
          }
          env.node = {
            type: CONDITIONAL_EXP,
            test,
            consequent,
            alternate
          };
          if (test.operator && jsep2.binary_ops[test.operator] <= 0.9) {
            let newTest = test;
            while (newTest.right.operator && jsep2.binary_ops[newTest.right.operator] <= 0.9) {
              newTest = newTest.right;
            }
            env.node.test = newTest.right;
            newTest.right = env.node;
            env.node = test;
          }
        } else {
          this.throwError("Expected :");
        }
      }
    });
  }
};
jsep.plugins.register(ternary);

// src/core/covers/formula.ts
var MOST_STEPS = 2e5;
var emptyScope = (stockLengths, style) => ({
  values: /* @__PURE__ */ new Map(),
  inline: /* @__PURE__ */ new Map(),
  stockLengths,
  ...style && { style },
  known: /* @__PURE__ */ new Map(),
  shown: /* @__PURE__ */ new Map(),
  steps: MOST_STEPS
});
var FormulaError = class extends Error {
  constructor(code, message2) {
    super(message2);
    this.code = code;
  }
  code;
};
var length = (value) => ({ type: "length", value });
var number = (value) => ({ type: "number", value });
var word = (value) => ({ type: "word", value });
var yesNo = (value) => ({ type: "yes-no", value });
var LONGEST_FORMULA = 500;
var MIXED = /'[^']*'|"[^"]*"|(?<![\w.)])(\d+) +(\d+\/[1-9]\d*)(?![\w.(])/g;
function parseFormula(text) {
  if (text.length > LONGEST_FORMULA)
    throw new FormulaError("syntax", `A formula has at most ${LONGEST_FORMULA} characters.`);
  try {
    return jsep(text.replace(MIXED, (found, whole2, part) => whole2 ? `(${whole2}+${part})` : found));
  } catch (error) {
    throw new FormulaError("syntax", `\u201C${text}\u201D is not a formula: ${error.message}.`);
  }
}
function evaluate(node, scope) {
  if (--scope.steps < 0)
    throw new FormulaError(
      "too-long",
      `The formulas take more than ${MOST_STEPS.toLocaleString("en")} steps; make them simpler.`
    );
  switch (node.type) {
    case "Literal":
      return literal(node.value);
    case "Identifier":
      return look(node.name, scope);
    case "UnaryExpression":
      return unary(node, scope);
    case "BinaryExpression":
      return binary(node, scope);
    case "ConditionalExpression": {
      const { test, consequent, alternate } = node;
      return evaluate(isTrue(evaluate(test, scope)) ? consequent : alternate, scope);
    }
    case "CallExpression":
      return call(node, scope);
    default:
      throw new FormulaError("not-allowed", `A formula can't contain a ${node.type}.`);
  }
}
function literal(value) {
  if (typeof value === "number") return number(value);
  if (typeof value === "string") return word(value);
  if (typeof value === "boolean") return yesNo(value);
  throw new FormulaError("not-allowed", "A formula knows numbers, words and yes or no.");
}
function look(name, scope) {
  const value = scope.values.get(name);
  if (value) return value;
  const known = scope.known.get(name);
  if (known) return known;
  const inline = scope.inline.get(name);
  if (inline) {
    const worked = evaluate(inline, scope);
    scope.known.set(name, worked);
    return worked;
  }
  throw new FormulaError("unknown-name", `\u201C${name}\u201D is not a measure, an option or a result of this kind.`);
}
function isTrue(value) {
  if (value.type === "yes-no") return value.value;
  throw new FormulaError("kind-of-value", `A condition is needed, not a ${value.type}.`);
}
function unary({ operator, argument }, scope) {
  const value = evaluate(argument, scope);
  if (operator === "!") return yesNo(!isTrue(value));
  if (operator === "-" && isQuantity(value)) return { type: value.type, value: -value.value };
  throw new FormulaError("not-allowed", `\u201C${operator}\u201D can't stand before a ${value.type}.`);
}
var isQuantity = (value) => value.type === "length" || value.type === "number";
function binary(node, scope) {
  const { operator } = node;
  const left = evaluate(node.left, scope);
  if (operator === "&&") return yesNo(isTrue(left) && isTrue(evaluate(node.right, scope)));
  if (operator === "||") return yesNo(isTrue(left) || isTrue(evaluate(node.right, scope)));
  const right = evaluate(node.right, scope);
  if (operator === "==" || operator === "!=") {
    if (left.type !== right.type) throw mixed(operator, left, right);
    return yesNo(left.value === right.value === (operator === "=="));
  }
  if (!isQuantity(left) || !isQuantity(right)) throw mixed(operator, left, right);
  const [a, b] = [left.value, right.value];
  switch (operator) {
    case "*":
      if (left.type === "length" && right.type === "length") throw mixed(operator, left, right);
      return {
        type: left.type === "length" || right.type === "length" ? "length" : "number",
        value: whole(left, right, a * b)
      };
    case "/":
      if (right.type === "length" && left.type === "number") throw mixed(operator, left, right);
      if (b === 0) throw new FormulaError("division-by-zero", "The formula divides by zero.");
      return right.type === "length" ? number(a / b) : { type: left.type, value: whole(left, right, a / b) };
  }
  if (left.type !== right.type) throw mixed(operator, left, right);
  switch (operator) {
    case "+":
      return { type: left.type, value: a + b };
    case "-":
      return { type: left.type, value: a - b };
    case "<":
      return yesNo(a < b);
    case "<=":
      return yesNo(a <= b);
    case ">":
      return yesNo(a > b);
    case ">=":
      return yesNo(a >= b);
    default:
      throw new FormulaError("not-allowed", `\u201C${operator}\u201D is not part of the formula language.`);
  }
}
var whole = (left, right, value) => left.type === "length" || right.type === "length" ? Math.round(value) : value;
var mixed = (operator, left, right) => new FormulaError("kind-of-value", `\u201C${operator}\u201D can't join a ${left.type} and a ${right.type}.`);
var unitFunction = (unit) => ([value]) => {
  if (value.type !== "number") throw new FormulaError("kind-of-value", "A unit is given to a plain number.");
  return length(Math.round(value.value * NM[unit]));
};
var pick = (choose) => (args) => {
  if (args.some(({ type }) => type !== args[0].type))
    throw mixed(
      ",",
      args[0],
      args.find(({ type }) => type !== args[0].type)
    );
  return { type: args[0].type, value: choose(...args.map(({ value }) => value)) };
};
var FUNCTIONS = {
  inch: unitFunction("in"),
  mm: unitFunction("mm"),
  cm: unitFunction("cm"),
  min: pick(Math.min),
  max: pick(Math.max),
  diagonal: ([a, b]) => length(Math.round(Math.hypot(a.value, b.value))),
  circumference: ([diameter]) => length(Math.round(Math.PI * diameter.value)),
  spread: ([count, long], { style = STYLES.in }) => {
    if (count?.type !== "number" || long?.type !== "length")
      throw new FormulaError("kind-of-value", "\u201Cspread\u201D needs a number and a length.");
    const n = Math.min(100, Math.max(0, Math.floor(count.value)));
    const places = Array.from({ length: n }, (_, i) => printLength(long.value * (i + 1) / (n + 1), style));
    return word(
      places.length > 1 ? `${places.slice(0, -1).join(", ")} and ${places.at(-1)}` : places[0] ?? "nowhere"
    );
  },
  whole: ([value]) => {
    if (value.type !== "number")
      throw new FormulaError("kind-of-value", "Only a plain number is rounded up to a whole one.");
    return number(Math.ceil(value.value - 1e-9));
  },
  stockDown: ([wanted], { stockLengths }) => length(Math.max(0, ...stockLengths.filter((one) => one <= wanted.value))),
  stockUp: ([wanted], { stockLengths }) => {
    const least = Math.min(...stockLengths.filter((one) => one >= wanted.value));
    return length(Number.isFinite(least) ? least : wanted.value);
  }
};
var TAKES = { min: Infinity, max: Infinity, diagonal: 2, spread: 2 };
var RESERVED = [
  ...Object.keys(FUNCTIONS),
  ...["allowance", "asCut", "traced", "perimeter", "true", "false", "null", "this"]
];
function call({ callee, arguments: args }, scope) {
  const name = callee.type === "Identifier" ? callee.name : "";
  if (!Object.hasOwn(FUNCTIONS, name)) {
    throw new FormulaError(
      "unknown-function",
      `\u201C${name || "this"}\u201D is not a function; there are ${Object.keys(FUNCTIONS).join(", ")}.`
    );
  }
  const values = args.map((arg) => evaluate(arg, scope));
  if (values.length === 0 || !values.every(isQuantity)) {
    throw new FormulaError("kind-of-value", `\u201C${name}\u201D needs lengths or numbers.`);
  }
  const takes = TAKES[name] ?? 1;
  if (takes < Infinity && values.length !== takes)
    throw new FormulaError("kind-of-value", `\u201C${name}\u201D takes ${takes === 1 ? "one value" : `${takes} values`}.`);
  return FUNCTIONS[name](values, scope);
}
var STRENGTH = {
  "||": 1,
  "&&": 2,
  "==": 3,
  "!=": 3,
  "<": 3,
  "<=": 3,
  ">": 3,
  ">=": 3,
  "+": 4,
  "-": 4,
  "*": 5,
  "/": 5
};
var SIGN = { "*": "x" };
function printValue(value, style) {
  if (value.type === "length") return printNumber(value.value, style).text;
  return value.type === "number" ? String(Number(value.value.toFixed(4))) : String(value.value);
}
function sumOf(node, scope, style) {
  const total = printValue(evaluate(node, scope), style);
  const { text } = show(node, scope, style);
  return text === total ? total : `${text} = ${total}`;
}
var ATOM = 9;
var LONGEST_SUM = 160;
function show(node, scope, style) {
  if (node.type === "ConditionalExpression") {
    const { test, consequent, alternate } = node;
    return show(isTrue(evaluate(test, scope)) ? consequent : alternate, scope, style);
  }
  if (node.type === "Identifier") {
    const { name } = node;
    const inline = scope.inline.get(name);
    if (inline) {
      const known = scope.shown.get(name);
      if (known) return known;
      const whole2 = show(inline, scope, style);
      const shown2 = whole2.text.length <= LONGEST_SUM ? whole2 : { text: printValue(look(name, scope), style), strength: ATOM };
      scope.shown.set(name, shown2);
      return shown2;
    }
  }
  if (node.type === "UnaryExpression" && node.operator === "-") {
    return { text: `-${around(show(node.argument, scope, style), 5)}`, strength: 5 };
  }
  if (node.type === "BinaryExpression") return showBinary(node, scope, style);
  return { text: printValue(evaluate(node, scope), style), strength: ATOM };
}
var around = ({ text, strength }, least) => strength < least ? `(${text})` : text;
function showBinary(node, scope, style) {
  const strength = STRENGTH[node.operator] ?? ATOM;
  const left = show(node.left, scope, style);
  const right = show(node.right, scope, style);
  const adds = node.operator === "+" || node.operator === "-";
  if (adds && isZero(node.right, scope)) return left;
  if (node.operator === "+" && isZero(node.left, scope)) return right;
  if (node.operator === "+" && right.text.startsWith("-")) {
    return { text: `${around(left, strength)} - ${right.text.slice(1)}`, strength };
  }
  const rightLeast = node.operator === "-" || node.operator === "/" ? strength + 1 : strength;
  return {
    text: `${around(left, strength)} ${SIGN[node.operator] ?? node.operator} ${around(right, rightLeast)}`,
    strength
  };
}
function isZero(node, scope) {
  const value = evaluate(node, scope);
  return isQuantity(value) && value.value === 0;
}

// src/core/covers/outline.ts
var import_clipper_lib = __toESM(require_clipper(), 1);

// src/core/lay/outline.ts
function doubleArea(ring) {
  let sum = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++)
    sum += ring[j][0] * ring[i][1] - ring[i][0] * ring[j][1];
  return sum;
}
var side = (a, b, c) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
var within = (p, a, b) => Math.min(a[0], b[0]) <= p[0] && p[0] <= Math.max(a[0], b[0]) && Math.min(a[1], b[1]) <= p[1] && p[1] <= Math.max(a[1], b[1]);
function segmentsTouch(a, b, c, d) {
  const [abc, abd, cda, cdb] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (abc * abd < 0 && cda * cdb < 0) return true;
  return abc === 0 && within(c, a, b) || abd === 0 && within(d, a, b) || cda === 0 && within(a, c, d) || cdb === 0 && within(b, c, d);
}
function isSimple(ring) {
  const n = ring.length;
  const at = (i) => ring[i % n];
  for (let i = 0; i < n; i++) {
    const [a, b, c] = [at(i), at(i + 1), at(i + 2)];
    if (a[0] === b[0] && a[1] === b[1]) return false;
    if (side(a, b, c) === 0 && (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]) < 0) return false;
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      if (segmentsTouch(a, b, at(j), at(j + 1))) return false;
    }
  }
  return doubleArea(ring) !== 0;
}

// src/core/covers/outline.ts
function boxSize(ring) {
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
}
var perimeterOf = (ring) => Math.round(
  ring.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = ring[(i + 1) % ring.length];
    return sum + Math.hypot(nextX - x, nextY - y);
  }, 0)
);
var MITRE_LIMIT = 3;
function grown(ring, allowance) {
  const path = ring.map(([X, Y]) => ({ X, Y }));
  if (!import_clipper_lib.default.Clipper.Orientation(path)) path.reverse();
  const offset = new import_clipper_lib.default.ClipperOffset(MITRE_LIMIT);
  offset.AddPath(path, import_clipper_lib.default.JoinType.jtMiter, import_clipper_lib.default.EndType.etClosedPolygon);
  const found = [];
  offset.Execute(found, allowance);
  const outer = found.reduce(
    (largest, one) => import_clipper_lib.default.Clipper.Area(one) > import_clipper_lib.default.Clipper.Area(largest) ? one : largest
  );
  return outer.map(({ X, Y }) => [X, Y]);
}
var lowerLeft = (ring) => [Math.min(...ring.map(([x]) => x)), Math.min(...ring.map(([, y]) => y))];
function offsetOutline(ring, allowance) {
  const wide = grown(ring, allowance);
  const [left, bottom] = lowerLeft(wide);
  return wide.map(([x, y]) => [x - left, y - bottom]);
}
function overhang(ring, allowance) {
  const [[left, bottom], [outerLeft, outerBottom]] = [lowerLeft(ring), lowerLeft(grown(ring, allowance))];
  return [left - outerLeft, bottom - outerBottom];
}
var ARC_ERROR = 2e5;
function arcPoints([cx, cy], radius, from, to) {
  const sweep = (to - from) * Math.PI / 180;
  const step = 2 * Math.acos(Math.max(0.5, 1 - ARC_ERROR / Math.max(radius, ARC_ERROR)));
  const sides = Math.max(2, 4 * Math.ceil(Math.abs(sweep) / step / 4));
  const isOutward = sweep > 0;
  const isWhole = Math.abs(Math.abs(to - from) - 360) < 1e-9;
  const point = (angle, reach2) => [
    Math.round(cx + reach2 * Math.cos(angle)),
    Math.round(cy + reach2 * Math.sin(angle))
  ];
  const start = from * Math.PI / 180;
  if (!isOutward) return Array.from({ length: sides - 1 }, (_, i) => point(start + sweep * (i + 1) / sides, radius));
  const reach = radius / Math.cos(sweep / sides / 2);
  return Array.from({ length: sides }, (_, i) => {
    const [x, y] = point(start + sweep * (i + 0.5) / sides, reach);
    return isWhole ? [clip(x, cx, radius), clip(y, cy, radius)] : [x, y];
  });
}
var clip = (value, centre, radius) => Math.min(centre + Math.round(radius), Math.max(centre - Math.round(radius), value));
function sliceOutline(ring, from, to) {
  const [, height] = boxSize(ring);
  const slab = [
    { X: from, Y: 0 },
    { X: to, Y: 0 },
    { X: to, Y: height },
    { X: from, Y: height }
  ];
  const clipper = new import_clipper_lib.default.Clipper();
  clipper.AddPath(
    ring.map(([X, Y]) => ({ X, Y })),
    import_clipper_lib.default.PolyType.ptSubject,
    true
  );
  clipper.AddPath(slab, import_clipper_lib.default.PolyType.ptClip, true);
  const found = [];
  clipper.Execute(import_clipper_lib.default.ClipType.ctIntersection, found);
  if (found.length === 0) return null;
  const largest = found.reduce(
    (a, b) => Math.abs(import_clipper_lib.default.Clipper.Area(b)) > Math.abs(import_clipper_lib.default.Clipper.Area(a)) ? b : a
  );
  const [left, bottom] = [Math.min(...largest.map(({ X }) => X)), Math.min(...largest.map(({ Y }) => Y))];
  return largest.map(({ X, Y }) => [X - left, Y - bottom]);
}

// src/core/covers/take-off.ts
var ZIP_LENGTHS = {
  in: [4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 24, 27, 30, 36, 42, 48, 54, 60, 72].map(inches),
  mm: [100, 120, 150, 180, 200, 220, 250, 300, 350, 400, 450, 500, 550, 600, 700, 800, 900, 1e3, 1200, 1500, 2e3].map(
    millimetres
  )
};
var MOST_COUNT = 100;
var MOST_MEASURE = 20 * NM.m;
var MOST_PART = 200 * NM.m;
var formulas = /* @__PURE__ */ new Map();
function compiled(text) {
  let formula = formulas.get(text);
  if (!formula) formulas.set(text, formula = parseFormula(text));
  return formula;
}
function takeOff(kind, given) {
  if (given.outline && !kind.outline)
    return refuse("measure-unknown", "outline", `\u201Coutline\u201D is not a measure of ${kind.id}.`);
  if (given.outline && !isSimple(given.outline))
    return refuse("outline", "outline", "The outline crosses or touches itself.");
  const input = given.outline ? withBox(kind, given, given.outline) : given;
  const faults = [...measureFaults(kind, input), ...optionFaults(kind, input), ...fitFaults(kind, input)];
  if (faults.length > 0) return { ok: false, faults };
  try {
    return workOut(kind, input);
  } catch (error) {
    if (!(error instanceof FormulaError)) throw error;
    return { ok: false, faults: [{ code: error.code, field: "", message: `${kind.name}: ${error.message}` }] };
  }
}
var fitsOf = (kind) => FITS.filter((fit) => kind.allowance[fit] !== void 0);
function fitFaults(kind, { fit }) {
  if (fit === void 0 || kind.allowance[fit] !== void 0) return [];
  return [
    { code: "fit", field: "fit", message: `${kind.name} is not made ${fit}; it knows ${fitsOf(kind).join(", ")}.` }
  ];
}
function withBox(kind, input, outline) {
  const [width, height] = boxSize(outline);
  return { ...input, measures: { ...input.measures, [kind.outline.across]: width, [kind.outline.along]: height } };
}
function measureFaults(kind, { measures, units }) {
  const faults = [];
  for (const { id, label, default: usual } of kind.measures) {
    const isOpen = usual !== void 0;
    const value = measures[id];
    if (value === void 0 && isOpen) continue;
    if (value === void 0) faults.push({ code: "measure-missing", field: id, message: `${label} is needed.` });
    else if (!(value > 0))
      faults.push({ code: "measure-zero", field: id, message: `${label} must be more than zero.` });
    else if (value > MOST_MEASURE)
      faults.push({
        code: "length-huge",
        field: id,
        message: `${label} of ${shown(value, units)} is more than ${shown(MOST_MEASURE, units)}, the longest that can be cut.`
      });
  }
  const known = new Set(kind.measures.map(({ id }) => id));
  for (const id of Object.keys(measures)) {
    if (!known.has(id))
      faults.push({
        code: "measure-unknown",
        field: id,
        message: `\u201C${id}\u201D is not a measure of ${kind.id}; it has ${[...known].join(", ")}.`
      });
  }
  return faults;
}
function optionFaults(kind, { options, units }) {
  return Object.entries(options).flatMap(([id, value]) => {
    const option = kind.options.find((one) => one.id === id);
    const fault = (code, message2) => [{ code, field: id, message: message2 }];
    if (!option)
      return fault(
        "option-unknown",
        `\u201C${id}\u201D is not an option of ${kind.id}; it has ${kind.options.map((one) => one.id).join(", ")}.`
      );
    if (option.type === "choice") {
      const ids = option.choices.map((choice) => choice.id);
      return ids.includes(String(value)) ? [] : fault("choice", `${option.label}: \u201C${String(value)}\u201D is not one of ${ids.join(", ")}.`);
    }
    if (option.type === "count") {
      const amount = value === "" ? NaN : Number(value);
      const fine2 = Number.isInteger(amount) && amount >= 0 && amount <= MOST_COUNT;
      return fine2 ? [] : fault("option-count", `${option.label} must be a whole number from 0 to ${MOST_COUNT}.`);
    }
    const lengths = option.type === "hem" && Array.isArray(value) ? value : [value];
    const fine = lengths.length >= 1 && lengths.length <= 2 && lengths.every((one) => typeof one === "number" && one >= 0 && one <= MOST_MEASURE);
    return fine ? [] : fault("option-length", `${option.label} must be a length from zero to ${shown(MOST_MEASURE, units)}.`);
  });
}
var shown = (value, units) => printLength(value, STYLES[units]);
function workOut(kind, input) {
  const style = STYLES[input.units];
  const scope = scopeOf(kind, input);
  const say = (formula) => sumOf(compiled(formula), scope, style);
  const holds = (when) => when === void 0 || isTrue(evaluate(compiled(when), scope));
  const size = (formula) => quantity(formula, scope, "length");
  const count = (formula) => quantity(formula, scope, "number");
  const point = ([x, y]) => [size(x), size(y)];
  const ring = (outline) => outline.flatMap(
    (one) => Array.isArray(one) ? [point(one)] : arcPoints(point(one.centre), size(one.radius), one.from, one.to)
  );
  const sums = /* @__PURE__ */ new Map();
  for (const { name, is, inline } of kind.results) {
    if (inline) {
      scope.inline.set(name, compiled(is));
      continue;
    }
    sums.set(name, say(is));
    scope.values.set(name, evaluate(compiled(is), scope));
  }
  const sum = (formula) => sums.get(formula) ?? say(formula);
  const traced = input.outline ? tracedOutline(input.outline, size(kind.outline.allowance)) : null;
  const shifted = ([x, y], isTraceCut) => isTraceCut && traced ? [x + traced.shift[0], y + traced.shift[1]] : [x, y];
  const pieces = kind.pieces.filter(({ when, qty }) => holds(when) && (typeof qty === "number" || count(qty) > 0)).map(({ name, role, qty, axes, across, along, outline, isTraced, match: match2 }) => {
    const isTraceCut = isTraced && traced !== null;
    const [wide, deep] = isTraceCut ? boxSize(traced.ring) : [size(across), size(along)];
    const reaching = (text2, plain, whole2) => whole2 > plain ? `${text2}; its corners reach ${printNumber(whole2, style).text}` : text2;
    return {
      name,
      role,
      axes: axes ?? ["side to side", "up and down"],
      qty: typeof qty === "number" ? qty : count(qty),
      across: wide,
      along: deep,
      sum: [reaching(sum(across), size(across), wide), reaching(sum(along), size(along), deep)],
      ...outline && { outline: ring(outline) },
      ...isTraceCut && { outline: traced.ring },
      ...match2 && {
        match: { anchor: shifted(point(match2.anchor), isTraceCut), delta: point(match2.delta) }
      }
    };
  });
  const strips = kind.strips.filter(({ when }) => holds(when)).map((strip) => ({
    name: strip.name,
    role: strip.role,
    qty: count(strip.qty),
    width: size(strip.width),
    length: size(strip.length),
    grain: evaluate(compiled(strip.grain), scope).value === "bias" ? "bias" : "across",
    loss: size(strip.loss),
    least: size(strip.least),
    sum: [sum(strip.width), sum(strip.length)]
  }));
  const small = [
    ...pieces.map((one) => ({ ...one, sizes: [one.across, one.along] })),
    ...strips.map((one) => ({ ...one, sizes: [one.width, one.length] }))
  ];
  const faults = small.filter(({ sizes }) => !sizes.every((one) => one > 0 && one <= MOST_PART)).map(({ name, sum: [a, b] }) => ({
    code: "piece-impossible",
    field: kind.measures[0].id,
    message: `The ${name} can\u2019t be cut: ${a} by ${b}.`
  }));
  if (faults.length > 0) return { ok: false, faults };
  const text = (template) => fill(template, scope, style);
  const { width, height, thickness, skirt: skirt2, flange, overlap } = kind.finished;
  const finished = {
    width: size(width),
    height: size(height),
    ...thickness && { thickness: size(thickness) },
    ...skirt2 && { skirt: size(skirt2) },
    ...flange && { flange: size(flange) },
    ...overlap && { overlap: size(overlap) }
  };
  const notions = kind.notions.filter(({ when }) => holds(when)).map(({ name, qty, length: long, note }) => ({
    name,
    qty: count(qty),
    ...long && { length: size(long) },
    note: text(note)
  }));
  return ok({
    finished,
    pieces,
    strips,
    notions: notions.some(({ name }) => name === "thread") ? notions : [...notions, threadFor(pieces, strips, input.units)],
    inspections: inspectionsOf(kind, finished),
    seam: scope.values.has("seam") ? size("seam") : inches(1 / 2),
    steps: kind.steps.filter(({ when }) => holds(when)).map(({ do: what, stitch, foot, caution }, i) => ({
      n: i + 1,
      do: text(what),
      ...stitch && { stitch },
      ...foot && { foot },
      ...caution && { caution }
    })),
    warnings: kind.checks.filter(({ when }) => holds(when)).map(({ code, field, message: message2, level }) => ({ code, field, message: text(message2), level })),
    centre: kind.centre ? shifted(point(kind.centre), traced !== null) : null
  });
}
var THREAD_PART = 3;
function tracedOutline(form, allowance) {
  const [x, y] = overhang(form, allowance);
  return { ring: offsetOutline(form, allowance), shift: [x - allowance, y - allowance] };
}
function threadFor(pieces, strips, units) {
  const edges = pieces.reduce((sum, { qty, across, along }) => sum + qty * (across + along), 0);
  const runs = strips.reduce((sum, { qty, length: long }) => sum + qty * long, 0);
  const unit = units === "in" ? "yd" : "m";
  const about = Math.ceil(THREAD_PART * (edges + runs) / NM[unit]);
  return { name: "thread", qty: 1, note: `about ${about} ${unit} a cover, an estimate` };
}
function inspectionsOf(kind, finished) {
  const tolerance = inches(kind.fill === "soft" ? 1 / 4 : 1 / 8);
  const { width, height, thickness, skirt: skirt2, flange, overlap } = finished;
  const isRound = kind.drawing === "round";
  const tape = [
    [isRound ? "diameter" : "width", width, tolerance],
    [
      kind.drawing === "box" || kind.drawing === "stool" ? "depth" : kind.drawing === "bolster" ? "end\u2019s diameter" : "height",
      isRound ? void 0 : height,
      tolerance
    ],
    ["thickness", thickness, tolerance],
    [
      "both diagonals",
      isRound || kind.drawing === "bolster" ? void 0 : Math.round(Math.hypot(width, height)),
      tolerance
    ],
    ["flange, all four sides", flange, inches(1 / 8)],
    ["skirt", skirt2, inches(1 / 8)],
    ["overlap", overlap, inches(1 / 4)]
  ];
  return tape.flatMap(([what, size, within2]) => size ? [{ what, size, tolerance: within2 }] : []);
}
function scopeOf(kind, input) {
  const scope = emptyScope(ZIP_LENGTHS[input.units], STYLES[input.units]);
  const asCut = input.measuredAs === "cut";
  scope.values.set("traced", { type: "yes-no", value: input.outline !== void 0 });
  scope.values.set("perimeter", length(input.outline ? perimeterOf(input.outline) : 0));
  scope.values.set("asCut", { type: "yes-no", value: asCut });
  for (const { id, default: usual } of kind.measures) {
    scope.values.set(id, length(input.measures[id] ?? quantity(usual, scope, "length")));
  }
  for (const option of kind.options) setOption(scope, option, input.options[option.id], input.units);
  scope.inline.set(
    "allowance",
    compiled(asCut ? "inch(0)" : kind.allowance[input.fit ?? kind.defaultFit] ?? kind.allowance[kind.defaultFit])
  );
  return scope;
}
function setOption(scope, option, given, units) {
  const { values, inline } = scope;
  if (option.type === "choice") {
    values.set(option.id, word(typeof given === "string" ? given : option.default));
    return;
  }
  if (option.type === "count") {
    values.set(option.id, number(given === void 0 ? option.default : Number(given)));
    return;
  }
  if (option.type === "hem") {
    const turns = given === void 0 ? usualOf(option, units).map((one) => quantity(one, scope, "length")) : [given].flat();
    turns.forEach((turn, i) => values.set(`${option.id}Turn${i + 1}`, length(turn)));
    values.set(option.id, length(turns.reduce((sum, turn) => sum + turn, 0)));
    return;
  }
  const isGiven = typeof given === "number";
  const [usual] = usualOf(option, units);
  values.set(`${option.id}Given`, { type: "yes-no", value: isGiven });
  if (isGiven) values.set(option.id, length(given));
  else if (usual !== void 0) values.set(option.id, length(quantity(usual, scope, "length")));
  else inline.set(option.id, compiled("inch(0)"));
}
function quantity(formula, scope, type) {
  const value = evaluate(compiled(formula), scope);
  if (value.type !== type)
    throw new FormulaError("kind-of-value", `\u201C${formula}\u201D should be a ${type} and is a ${value.type}.`);
  return value.value;
}
function fill(template, scope, style) {
  return template.replace(/\{([^}]+)\}/g, (_, formula) => {
    const value = evaluate(compiled(formula), scope);
    return value.type === "length" ? printLength(value.value, style) : printValue(value, style);
  });
}
function openOptions(kind, options) {
  const scope = emptyScope([]);
  for (const { id } of kind.measures) scope.values.set(id, length(0));
  for (const option of kind.options) setOption(scope, option, options[option.id], "in");
  return kind.options.filter(({ when }) => when === void 0 || isTrue(evaluate(compiled(when), scope)));
}

// node_modules/date-fns/constants.js
var daysInYear = 365.2425;
var maxTime = Math.pow(10, 8) * 24 * 60 * 60 * 1e3;
var minTime = -maxTime;
var millisecondsInWeek = 6048e5;
var millisecondsInMinute = 6e4;
var millisecondsInHour = 36e5;
var millisecondsInSecond = 1e3;
var secondsInHour = 3600;
var secondsInDay = secondsInHour * 24;
var secondsInWeek = secondsInDay * 7;
var secondsInYear = secondsInDay * daysInYear;
var secondsInMonth = secondsInYear / 12;
var secondsInQuarter = secondsInMonth * 3;
var constructFromSymbol = /* @__PURE__ */ Symbol.for("constructDateFrom");

// node_modules/date-fns/constructFrom.js
function constructFrom(date, value) {
  if (typeof date === "function") return date(value);
  if (date && typeof date === "object" && constructFromSymbol in date)
    return date[constructFromSymbol](value);
  if (date instanceof Date) return new date.constructor(value);
  return new Date(value);
}

// node_modules/date-fns/toDate.js
function toDate(argument, context) {
  return constructFrom(context || argument, argument);
}

// node_modules/date-fns/addDays.js
function addDays(date, amount, options) {
  const _date = toDate(date, options?.in);
  if (isNaN(amount)) return constructFrom(options?.in || date, NaN);
  if (!amount) return _date;
  _date.setDate(_date.getDate() + amount);
  return _date;
}

// node_modules/date-fns/_lib/defaultOptions.js
var defaultOptions = {};
function getDefaultOptions() {
  return defaultOptions;
}

// node_modules/date-fns/startOfWeek.js
function startOfWeek(date, options) {
  const defaultOptions2 = getDefaultOptions();
  const weekStartsOn = options?.weekStartsOn ?? options?.locale?.options?.weekStartsOn ?? defaultOptions2.weekStartsOn ?? defaultOptions2.locale?.options?.weekStartsOn ?? 0;
  const _date = toDate(date, options?.in);
  const day = _date.getDay();
  const diff = (day < weekStartsOn ? 7 : 0) + day - weekStartsOn;
  _date.setDate(_date.getDate() - diff);
  _date.setHours(0, 0, 0, 0);
  return _date;
}

// node_modules/date-fns/startOfISOWeek.js
function startOfISOWeek(date, options) {
  return startOfWeek(date, { ...options, weekStartsOn: 1 });
}

// node_modules/date-fns/getISOWeekYear.js
function getISOWeekYear(date, options) {
  const _date = toDate(date, options?.in);
  const year = _date.getFullYear();
  const fourthOfJanuaryOfNextYear = constructFrom(_date, 0);
  fourthOfJanuaryOfNextYear.setFullYear(year + 1, 0, 4);
  fourthOfJanuaryOfNextYear.setHours(0, 0, 0, 0);
  const startOfNextYear = startOfISOWeek(fourthOfJanuaryOfNextYear);
  const fourthOfJanuaryOfThisYear = constructFrom(_date, 0);
  fourthOfJanuaryOfThisYear.setFullYear(year, 0, 4);
  fourthOfJanuaryOfThisYear.setHours(0, 0, 0, 0);
  const startOfThisYear = startOfISOWeek(fourthOfJanuaryOfThisYear);
  if (_date.getTime() >= startOfNextYear.getTime()) {
    return year + 1;
  } else if (_date.getTime() >= startOfThisYear.getTime()) {
    return year;
  } else {
    return year - 1;
  }
}

// node_modules/date-fns/_lib/getTimezoneOffsetInMilliseconds.js
function getTimezoneOffsetInMilliseconds(date) {
  const _date = toDate(date);
  const utcDate = new Date(
    Date.UTC(
      _date.getFullYear(),
      _date.getMonth(),
      _date.getDate(),
      _date.getHours(),
      _date.getMinutes(),
      _date.getSeconds(),
      _date.getMilliseconds()
    )
  );
  utcDate.setUTCFullYear(_date.getFullYear());
  return +date - +utcDate;
}

// node_modules/date-fns/startOfISOWeekYear.js
function startOfISOWeekYear(date, options) {
  const year = getISOWeekYear(date, options);
  const fourthOfJanuary = constructFrom(options?.in || date, 0);
  fourthOfJanuary.setFullYear(year, 0, 4);
  fourthOfJanuary.setHours(0, 0, 0, 0);
  return startOfISOWeek(fourthOfJanuary);
}

// node_modules/date-fns/isDate.js
function isDate(value) {
  return value instanceof Date || typeof value === "object" && Object.prototype.toString.call(value) === "[object Date]";
}

// node_modules/date-fns/isValid.js
function isValid(date) {
  return !(!isDate(date) && typeof date !== "number" || isNaN(+toDate(date)));
}

// node_modules/date-fns/locale/en-US/_lib/formatDistance.js
var formatDistanceLocale = {
  lessThanXSeconds: {
    one: "less than a second",
    other: "less than {{count}} seconds"
  },
  xSeconds: {
    one: "1 second",
    other: "{{count}} seconds"
  },
  halfAMinute: "half a minute",
  lessThanXMinutes: {
    one: "less than a minute",
    other: "less than {{count}} minutes"
  },
  xMinutes: {
    one: "1 minute",
    other: "{{count}} minutes"
  },
  aboutXHours: {
    one: "about 1 hour",
    other: "about {{count}} hours"
  },
  xHours: {
    one: "1 hour",
    other: "{{count}} hours"
  },
  xDays: {
    one: "1 day",
    other: "{{count}} days"
  },
  aboutXWeeks: {
    one: "about 1 week",
    other: "about {{count}} weeks"
  },
  xWeeks: {
    one: "1 week",
    other: "{{count}} weeks"
  },
  aboutXMonths: {
    one: "about 1 month",
    other: "about {{count}} months"
  },
  xMonths: {
    one: "1 month",
    other: "{{count}} months"
  },
  aboutXYears: {
    one: "about 1 year",
    other: "about {{count}} years"
  },
  xYears: {
    one: "1 year",
    other: "{{count}} years"
  },
  overXYears: {
    one: "over 1 year",
    other: "over {{count}} years"
  },
  almostXYears: {
    one: "almost 1 year",
    other: "almost {{count}} years"
  }
};
var formatDistance = (token, count, options) => {
  let result;
  const tokenValue = formatDistanceLocale[token];
  if (typeof tokenValue === "string") {
    result = tokenValue;
  } else if (count === 1) {
    result = tokenValue.one;
  } else {
    result = tokenValue.other.replace("{{count}}", count.toString());
  }
  if (options?.addSuffix) {
    if (options.comparison && options.comparison > 0) {
      return "in " + result;
    } else {
      return result + " ago";
    }
  }
  return result;
};

// node_modules/date-fns/locale/_lib/buildFormatLongFn.js
function buildFormatLongFn(args) {
  return (options = {}) => {
    const width = options.width ? String(options.width) : args.defaultWidth;
    const format = args.formats[width] || args.formats[args.defaultWidth];
    return format;
  };
}

// node_modules/date-fns/locale/en-US/_lib/formatLong.js
var dateFormats = {
  full: "EEEE, MMMM do, y",
  long: "MMMM do, y",
  medium: "MMM d, y",
  short: "MM/dd/yyyy"
};
var timeFormats = {
  full: "h:mm:ss a zzzz",
  long: "h:mm:ss a z",
  medium: "h:mm:ss a",
  short: "h:mm a"
};
var dateTimeFormats = {
  full: "{{date}} 'at' {{time}}",
  long: "{{date}} 'at' {{time}}",
  medium: "{{date}}, {{time}}",
  short: "{{date}}, {{time}}"
};
var formatLong = {
  date: buildFormatLongFn({
    formats: dateFormats,
    defaultWidth: "full"
  }),
  time: buildFormatLongFn({
    formats: timeFormats,
    defaultWidth: "full"
  }),
  dateTime: buildFormatLongFn({
    formats: dateTimeFormats,
    defaultWidth: "full"
  })
};

// node_modules/date-fns/locale/en-US/_lib/formatRelative.js
var formatRelativeLocale = {
  lastWeek: "'last' eeee 'at' p",
  yesterday: "'yesterday at' p",
  today: "'today at' p",
  tomorrow: "'tomorrow at' p",
  nextWeek: "eeee 'at' p",
  other: "P"
};
var formatRelative = (token, _date, _baseDate, _options) => formatRelativeLocale[token];

// node_modules/date-fns/locale/_lib/buildLocalizeFn.js
function buildLocalizeFn(args) {
  return (value, options) => {
    const context = options?.context ? String(options.context) : "standalone";
    let valuesArray;
    if (context === "formatting" && args.formattingValues) {
      const defaultWidth = args.defaultFormattingWidth || args.defaultWidth;
      const width = options?.width ? String(options.width) : defaultWidth;
      valuesArray = args.formattingValues[width] || args.formattingValues[defaultWidth];
    } else {
      const defaultWidth = args.defaultWidth;
      const width = options?.width ? String(options.width) : args.defaultWidth;
      valuesArray = args.values[width] || args.values[defaultWidth];
    }
    const index = args.argumentCallback ? args.argumentCallback(value) : value;
    return valuesArray[index];
  };
}

// node_modules/date-fns/locale/en-US/_lib/localize.js
var eraValues = {
  narrow: ["B", "A"],
  abbreviated: ["BC", "AD"],
  wide: ["Before Christ", "Anno Domini"]
};
var quarterValues = {
  narrow: ["1", "2", "3", "4"],
  abbreviated: ["Q1", "Q2", "Q3", "Q4"],
  wide: ["1st quarter", "2nd quarter", "3rd quarter", "4th quarter"]
};
var monthValues = {
  narrow: ["J", "F", "M", "A", "M", "J", "J", "A", "S", "O", "N", "D"],
  abbreviated: [
    "Jan",
    "Feb",
    "Mar",
    "Apr",
    "May",
    "Jun",
    "Jul",
    "Aug",
    "Sep",
    "Oct",
    "Nov",
    "Dec"
  ],
  wide: [
    "January",
    "February",
    "March",
    "April",
    "May",
    "June",
    "July",
    "August",
    "September",
    "October",
    "November",
    "December"
  ]
};
var dayValues = {
  narrow: ["S", "M", "T", "W", "T", "F", "S"],
  short: ["Su", "Mo", "Tu", "We", "Th", "Fr", "Sa"],
  abbreviated: ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"],
  wide: [
    "Sunday",
    "Monday",
    "Tuesday",
    "Wednesday",
    "Thursday",
    "Friday",
    "Saturday"
  ]
};
var dayPeriodValues = {
  narrow: {
    am: "a",
    pm: "p",
    midnight: "mi",
    noon: "n",
    morning: "morning",
    afternoon: "afternoon",
    evening: "evening",
    night: "night"
  },
  abbreviated: {
    am: "AM",
    pm: "PM",
    midnight: "midnight",
    noon: "noon",
    morning: "morning",
    afternoon: "afternoon",
    evening: "evening",
    night: "night"
  },
  wide: {
    am: "a.m.",
    pm: "p.m.",
    midnight: "midnight",
    noon: "noon",
    morning: "morning",
    afternoon: "afternoon",
    evening: "evening",
    night: "night"
  }
};
var formattingDayPeriodValues = {
  narrow: {
    am: "a",
    pm: "p",
    midnight: "mi",
    noon: "n",
    morning: "in the morning",
    afternoon: "in the afternoon",
    evening: "in the evening",
    night: "at night"
  },
  abbreviated: {
    am: "AM",
    pm: "PM",
    midnight: "midnight",
    noon: "noon",
    morning: "in the morning",
    afternoon: "in the afternoon",
    evening: "in the evening",
    night: "at night"
  },
  wide: {
    am: "a.m.",
    pm: "p.m.",
    midnight: "midnight",
    noon: "noon",
    morning: "in the morning",
    afternoon: "in the afternoon",
    evening: "in the evening",
    night: "at night"
  }
};
var ordinalNumber = (dirtyNumber, _options) => {
  const number2 = Number(dirtyNumber);
  const rem100 = number2 % 100;
  if (rem100 > 20 || rem100 < 10) {
    switch (rem100 % 10) {
      case 1:
        return number2 + "st";
      case 2:
        return number2 + "nd";
      case 3:
        return number2 + "rd";
    }
  }
  return number2 + "th";
};
var localize = {
  ordinalNumber,
  era: buildLocalizeFn({
    values: eraValues,
    defaultWidth: "wide"
  }),
  quarter: buildLocalizeFn({
    values: quarterValues,
    defaultWidth: "wide",
    argumentCallback: (quarter) => quarter - 1
  }),
  month: buildLocalizeFn({
    values: monthValues,
    defaultWidth: "wide"
  }),
  day: buildLocalizeFn({
    values: dayValues,
    defaultWidth: "wide"
  }),
  dayPeriod: buildLocalizeFn({
    values: dayPeriodValues,
    defaultWidth: "wide",
    formattingValues: formattingDayPeriodValues,
    defaultFormattingWidth: "wide"
  })
};

// node_modules/date-fns/locale/_lib/buildMatchFn.js
function buildMatchFn(args) {
  return (string, options = {}) => {
    const width = options.width;
    const matchPattern = width && args.matchPatterns[width] || args.matchPatterns[args.defaultMatchWidth];
    const matchResult = string.match(matchPattern);
    if (!matchResult) {
      return null;
    }
    const matchedString = matchResult[0];
    const parsePatterns = width && args.parsePatterns[width] || args.parsePatterns[args.defaultParseWidth];
    const key = Array.isArray(parsePatterns) ? findIndex(parsePatterns, (pattern) => pattern.test(matchedString)) : (
      // [TODO] -- I challenge you to fix the type
      findKey(parsePatterns, (pattern) => pattern.test(matchedString))
    );
    let value;
    value = args.valueCallback ? args.valueCallback(key) : key;
    value = options.valueCallback ? (
      // [TODO] -- I challenge you to fix the type
      options.valueCallback(value)
    ) : value;
    const rest = string.slice(matchedString.length);
    return { value, rest };
  };
}
function findKey(object, predicate) {
  for (const key in object) {
    if (Object.prototype.hasOwnProperty.call(object, key) && predicate(object[key])) {
      return key;
    }
  }
  return void 0;
}
function findIndex(array, predicate) {
  for (let key = 0; key < array.length; key++) {
    if (predicate(array[key])) {
      return key;
    }
  }
  return void 0;
}

// node_modules/date-fns/locale/_lib/buildMatchPatternFn.js
function buildMatchPatternFn(args) {
  return (string, options = {}) => {
    const matchResult = string.match(args.matchPattern);
    if (!matchResult) return null;
    const matchedString = matchResult[0];
    const parseResult = string.match(args.parsePattern);
    if (!parseResult) return null;
    let value = args.valueCallback ? args.valueCallback(parseResult[0]) : parseResult[0];
    value = options.valueCallback ? options.valueCallback(value) : value;
    const rest = string.slice(matchedString.length);
    return { value, rest };
  };
}

// node_modules/date-fns/locale/en-US/_lib/match.js
var matchOrdinalNumberPattern = /^(\d+)(th|st|nd|rd)?/i;
var parseOrdinalNumberPattern = /\d+/i;
var matchEraPatterns = {
  narrow: /^(b|a)/i,
  abbreviated: /^(b\.?\s?c\.?|b\.?\s?c\.?\s?e\.?|a\.?\s?d\.?|c\.?\s?e\.?)/i,
  wide: /^(before christ|before common era|anno domini|common era)/i
};
var parseEraPatterns = {
  any: [/^b/i, /^(a|c)/i]
};
var matchQuarterPatterns = {
  narrow: /^[1234]/i,
  abbreviated: /^q[1234]/i,
  wide: /^[1234](th|st|nd|rd)? quarter/i
};
var parseQuarterPatterns = {
  any: [/1/i, /2/i, /3/i, /4/i]
};
var matchMonthPatterns = {
  narrow: /^[jfmasond]/i,
  abbreviated: /^(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/i,
  wide: /^(january|february|march|april|may|june|july|august|september|october|november|december)/i
};
var parseMonthPatterns = {
  narrow: [
    /^j/i,
    /^f/i,
    /^m/i,
    /^a/i,
    /^m/i,
    /^j/i,
    /^j/i,
    /^a/i,
    /^s/i,
    /^o/i,
    /^n/i,
    /^d/i
  ],
  any: [
    /^ja/i,
    /^f/i,
    /^mar/i,
    /^ap/i,
    /^may/i,
    /^jun/i,
    /^jul/i,
    /^au/i,
    /^s/i,
    /^o/i,
    /^n/i,
    /^d/i
  ]
};
var matchDayPatterns = {
  narrow: /^[smtwf]/i,
  short: /^(su|mo|tu|we|th|fr|sa)/i,
  abbreviated: /^(sun|mon|tue|wed|thu|fri|sat)/i,
  wide: /^(sunday|monday|tuesday|wednesday|thursday|friday|saturday)/i
};
var parseDayPatterns = {
  narrow: [/^s/i, /^m/i, /^t/i, /^w/i, /^t/i, /^f/i, /^s/i],
  any: [/^su/i, /^m/i, /^tu/i, /^w/i, /^th/i, /^f/i, /^sa/i]
};
var matchDayPeriodPatterns = {
  narrow: /^(a|p|mi|n|(in the|at) (morning|afternoon|evening|night))/i,
  any: /^([ap]\.?\s?m\.?|midnight|noon|(in the|at) (morning|afternoon|evening|night))/i
};
var parseDayPeriodPatterns = {
  any: {
    am: /^a/i,
    pm: /^p/i,
    midnight: /^mi/i,
    noon: /^no/i,
    morning: /morning/i,
    afternoon: /afternoon/i,
    evening: /evening/i,
    night: /night/i
  }
};
var match = {
  ordinalNumber: buildMatchPatternFn({
    matchPattern: matchOrdinalNumberPattern,
    parsePattern: parseOrdinalNumberPattern,
    valueCallback: (value) => parseInt(value, 10)
  }),
  era: buildMatchFn({
    matchPatterns: matchEraPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseEraPatterns,
    defaultParseWidth: "any"
  }),
  quarter: buildMatchFn({
    matchPatterns: matchQuarterPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseQuarterPatterns,
    defaultParseWidth: "any",
    valueCallback: (index) => index + 1
  }),
  month: buildMatchFn({
    matchPatterns: matchMonthPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseMonthPatterns,
    defaultParseWidth: "any"
  }),
  day: buildMatchFn({
    matchPatterns: matchDayPatterns,
    defaultMatchWidth: "wide",
    parsePatterns: parseDayPatterns,
    defaultParseWidth: "any"
  }),
  dayPeriod: buildMatchFn({
    matchPatterns: matchDayPeriodPatterns,
    defaultMatchWidth: "any",
    parsePatterns: parseDayPeriodPatterns,
    defaultParseWidth: "any"
  })
};

// node_modules/date-fns/locale/en-US.js
var enUS = {
  code: "en-US",
  formatDistance,
  formatLong,
  formatRelative,
  localize,
  match,
  options: {
    weekStartsOn: 0,
    firstWeekContainsDate: 1
  }
};

// node_modules/date-fns/getISOWeek.js
function getISOWeek(date, options) {
  const _date = toDate(date, options?.in);
  const diff = +startOfISOWeek(_date) - +startOfISOWeekYear(_date);
  return Math.round(diff / millisecondsInWeek) + 1;
}

// node_modules/date-fns/getWeekYear.js
function getWeekYear(date, options) {
  const _date = toDate(date, options?.in);
  const year = _date.getFullYear();
  const defaultOptions2 = getDefaultOptions();
  const firstWeekContainsDate = options?.firstWeekContainsDate ?? options?.locale?.options?.firstWeekContainsDate ?? defaultOptions2.firstWeekContainsDate ?? defaultOptions2.locale?.options?.firstWeekContainsDate ?? 1;
  const firstWeekOfNextYear = constructFrom(options?.in || date, 0);
  firstWeekOfNextYear.setFullYear(year + 1, 0, firstWeekContainsDate);
  firstWeekOfNextYear.setHours(0, 0, 0, 0);
  const startOfNextYear = startOfWeek(firstWeekOfNextYear, options);
  const firstWeekOfThisYear = constructFrom(options?.in || date, 0);
  firstWeekOfThisYear.setFullYear(year, 0, firstWeekContainsDate);
  firstWeekOfThisYear.setHours(0, 0, 0, 0);
  const startOfThisYear = startOfWeek(firstWeekOfThisYear, options);
  if (+_date >= +startOfNextYear) {
    return year + 1;
  } else if (+_date >= +startOfThisYear) {
    return year;
  } else {
    return year - 1;
  }
}

// node_modules/date-fns/startOfWeekYear.js
function startOfWeekYear(date, options) {
  const defaultOptions2 = getDefaultOptions();
  const firstWeekContainsDate = options?.firstWeekContainsDate ?? options?.locale?.options?.firstWeekContainsDate ?? defaultOptions2.firstWeekContainsDate ?? defaultOptions2.locale?.options?.firstWeekContainsDate ?? 1;
  const year = getWeekYear(date, options);
  const firstWeek = constructFrom(options?.in || date, 0);
  firstWeek.setFullYear(year, 0, firstWeekContainsDate);
  firstWeek.setHours(0, 0, 0, 0);
  const _date = startOfWeek(firstWeek, options);
  return _date;
}

// node_modules/date-fns/getWeek.js
function getWeek(date, options) {
  const _date = toDate(date, options?.in);
  const diff = +startOfWeek(_date, options) - +startOfWeekYear(_date, options);
  return Math.round(diff / millisecondsInWeek) + 1;
}

// node_modules/date-fns/_lib/format/longFormatters.js
var dateLongFormatter = (pattern, formatLong2) => {
  switch (pattern) {
    case "P":
      return formatLong2.date({ width: "short" });
    case "PP":
      return formatLong2.date({ width: "medium" });
    case "PPP":
      return formatLong2.date({ width: "long" });
    case "PPPP":
    default:
      return formatLong2.date({ width: "full" });
  }
};
var timeLongFormatter = (pattern, formatLong2) => {
  switch (pattern) {
    case "p":
      return formatLong2.time({ width: "short" });
    case "pp":
      return formatLong2.time({ width: "medium" });
    case "ppp":
      return formatLong2.time({ width: "long" });
    case "pppp":
    default:
      return formatLong2.time({ width: "full" });
  }
};
var dateTimeLongFormatter = (pattern, formatLong2) => {
  const matchResult = pattern.match(/(P+)(p+)?/) || [];
  const datePattern = matchResult[1];
  const timePattern = matchResult[2];
  if (!timePattern) {
    return dateLongFormatter(pattern, formatLong2);
  }
  let dateTimeFormat;
  switch (datePattern) {
    case "P":
      dateTimeFormat = formatLong2.dateTime({ width: "short" });
      break;
    case "PP":
      dateTimeFormat = formatLong2.dateTime({ width: "medium" });
      break;
    case "PPP":
      dateTimeFormat = formatLong2.dateTime({ width: "long" });
      break;
    case "PPPP":
    default:
      dateTimeFormat = formatLong2.dateTime({ width: "full" });
      break;
  }
  return dateTimeFormat.replace("{{date}}", dateLongFormatter(datePattern, formatLong2)).replace("{{time}}", timeLongFormatter(timePattern, formatLong2));
};
var longFormatters = {
  p: timeLongFormatter,
  P: dateTimeLongFormatter
};

// node_modules/date-fns/_lib/protectedTokens.js
var dayOfYearTokenRE = /^D+$/;
var weekYearTokenRE = /^Y+$/;
var throwTokens = ["D", "DD", "YY", "YYYY"];
function isProtectedDayOfYearToken(token) {
  return dayOfYearTokenRE.test(token);
}
function isProtectedWeekYearToken(token) {
  return weekYearTokenRE.test(token);
}
function warnOrThrowProtectedError(token, format, input) {
  const _message = message(token, format, input);
  console.warn(_message);
  if (throwTokens.includes(token)) throw new RangeError(_message);
}
function message(token, format, input) {
  const subject = token[0] === "Y" ? "years" : "days of the month";
  return `Use \`${token.toLowerCase()}\` instead of \`${token}\` (in \`${format}\`) for formatting ${subject} to the input \`${input}\`; see: https://github.com/date-fns/date-fns/blob/master/docs/unicodeTokens.md`;
}

// node_modules/date-fns/getDefaultOptions.js
function getDefaultOptions2() {
  return Object.assign({}, getDefaultOptions());
}

// node_modules/date-fns/getISODay.js
function getISODay(date, options) {
  const day = toDate(date, options?.in).getDay();
  return day === 0 ? 7 : day;
}

// node_modules/date-fns/transpose.js
function transpose(date, constructor) {
  const date_ = isConstructor(constructor) ? new constructor(0) : constructFrom(constructor, 0);
  date_.setFullYear(date.getFullYear(), date.getMonth(), date.getDate());
  date_.setHours(
    date.getHours(),
    date.getMinutes(),
    date.getSeconds(),
    date.getMilliseconds()
  );
  return date_;
}
function isConstructor(constructor) {
  return typeof constructor === "function" && constructor.prototype?.constructor === constructor;
}

// node_modules/date-fns/parse/_lib/Setter.js
var TIMEZONE_UNIT_PRIORITY = 10;
var Setter = class {
  subPriority = 0;
  validate(_utcDate, _options) {
    return true;
  }
};
var ValueSetter = class extends Setter {
  constructor(value, validateValue, setValue2, priority, subPriority) {
    super();
    this.value = value;
    this.validateValue = validateValue;
    this.setValue = setValue2;
    this.priority = priority;
    if (subPriority) {
      this.subPriority = subPriority;
    }
  }
  validate(date, options) {
    return this.validateValue(date, this.value, options);
  }
  set(date, flags, options) {
    return this.setValue(date, flags, this.value, options);
  }
};
var DateTimezoneSetter = class extends Setter {
  priority = TIMEZONE_UNIT_PRIORITY;
  subPriority = -1;
  constructor(context, reference) {
    super();
    this.context = context || ((date) => constructFrom(reference, date));
  }
  set(date, flags) {
    if (flags.timestampIsSet) return date;
    return constructFrom(date, transpose(date, this.context));
  }
};

// node_modules/date-fns/parse/_lib/Parser.js
var Parser = class {
  run(dateString, token, match2, options) {
    const result = this.parse(dateString, token, match2, options);
    if (!result) {
      return null;
    }
    return {
      setter: new ValueSetter(
        result.value,
        this.validate,
        this.set,
        this.priority,
        this.subPriority
      ),
      rest: result.rest
    };
  }
  validate(_utcDate, _value, _options) {
    return true;
  }
};

// node_modules/date-fns/parse/_lib/parsers/EraParser.js
var EraParser = class extends Parser {
  priority = 140;
  parse(dateString, token, match2) {
    switch (token) {
      // AD, BC
      case "G":
      case "GG":
      case "GGG":
        return match2.era(dateString, { width: "abbreviated" }) || match2.era(dateString, { width: "narrow" });
      // A, B
      case "GGGGG":
        return match2.era(dateString, { width: "narrow" });
      // Anno Domini, Before Christ
      case "GGGG":
      default:
        return match2.era(dateString, { width: "wide" }) || match2.era(dateString, { width: "abbreviated" }) || match2.era(dateString, { width: "narrow" });
    }
  }
  set(date, flags, value) {
    flags.era = value;
    date.setFullYear(value, 0, 1);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["R", "u", "t", "T"];
};

// node_modules/date-fns/parse/_lib/constants.js
var numericPatterns = {
  month: /^(1[0-2]|0?\d)/,
  // 0 to 12
  date: /^(3[0-1]|[0-2]?\d)/,
  // 0 to 31
  dayOfYear: /^(36[0-6]|3[0-5]\d|[0-2]?\d?\d)/,
  // 0 to 366
  week: /^(5[0-3]|[0-4]?\d)/,
  // 0 to 53
  hour23h: /^(2[0-3]|[0-1]?\d)/,
  // 0 to 23
  hour24h: /^(2[0-4]|[0-1]?\d)/,
  // 0 to 24
  hour11h: /^(1[0-1]|0?\d)/,
  // 0 to 11
  hour12h: /^(1[0-2]|0?\d)/,
  // 0 to 12
  minute: /^[0-5]?\d/,
  // 0 to 59
  second: /^[0-5]?\d/,
  // 0 to 59
  singleDigit: /^\d/,
  // 0 to 9
  twoDigits: /^\d{1,2}/,
  // 0 to 99
  threeDigits: /^\d{1,3}/,
  // 0 to 999
  fourDigits: /^\d{1,4}/,
  // 0 to 9999
  anyDigitsSigned: /^-?\d+/,
  singleDigitSigned: /^-?\d/,
  // 0 to 9, -0 to -9
  twoDigitsSigned: /^-?\d{1,2}/,
  // 0 to 99, -0 to -99
  threeDigitsSigned: /^-?\d{1,3}/,
  // 0 to 999, -0 to -999
  fourDigitsSigned: /^-?\d{1,4}/
  // 0 to 9999, -0 to -9999
};
var timezonePatterns = {
  basicOptionalMinutes: /^([+-])(\d{2})(\d{2})?|Z/,
  basic: /^([+-])(\d{2})(\d{2})|Z/,
  basicOptionalSeconds: /^([+-])(\d{2})(\d{2})((\d{2}))?|Z/,
  extended: /^([+-])(\d{2}):(\d{2})|Z/,
  extendedOptionalSeconds: /^([+-])(\d{2}):(\d{2})(:(\d{2}))?|Z/
};

// node_modules/date-fns/parse/_lib/utils.js
function mapValue(parseFnResult, mapFn) {
  if (!parseFnResult) {
    return parseFnResult;
  }
  return {
    value: mapFn(parseFnResult.value),
    rest: parseFnResult.rest
  };
}
function parseNumericPattern(pattern, dateString) {
  const matchResult = dateString.match(pattern);
  if (!matchResult) {
    return null;
  }
  return {
    value: parseInt(matchResult[0], 10),
    rest: dateString.slice(matchResult[0].length)
  };
}
function parseTimezonePattern(pattern, dateString) {
  const matchResult = dateString.match(pattern);
  if (!matchResult) {
    return null;
  }
  if (matchResult[0] === "Z") {
    return {
      value: 0,
      rest: dateString.slice(1)
    };
  }
  const sign = matchResult[1] === "+" ? 1 : -1;
  const hours = matchResult[2] ? parseInt(matchResult[2], 10) : 0;
  const minutes = matchResult[3] ? parseInt(matchResult[3], 10) : 0;
  const seconds = matchResult[5] ? parseInt(matchResult[5], 10) : 0;
  return {
    value: sign * (hours * millisecondsInHour + minutes * millisecondsInMinute + seconds * millisecondsInSecond),
    rest: dateString.slice(matchResult[0].length)
  };
}
function parseAnyDigitsSigned(dateString) {
  return parseNumericPattern(numericPatterns.anyDigitsSigned, dateString);
}
function parseNDigits(n, dateString) {
  switch (n) {
    case 1:
      return parseNumericPattern(numericPatterns.singleDigit, dateString);
    case 2:
      return parseNumericPattern(numericPatterns.twoDigits, dateString);
    case 3:
      return parseNumericPattern(numericPatterns.threeDigits, dateString);
    case 4:
      return parseNumericPattern(numericPatterns.fourDigits, dateString);
    default:
      return parseNumericPattern(new RegExp("^\\d{1," + n + "}"), dateString);
  }
}
function parseNDigitsSigned(n, dateString) {
  switch (n) {
    case 1:
      return parseNumericPattern(numericPatterns.singleDigitSigned, dateString);
    case 2:
      return parseNumericPattern(numericPatterns.twoDigitsSigned, dateString);
    case 3:
      return parseNumericPattern(numericPatterns.threeDigitsSigned, dateString);
    case 4:
      return parseNumericPattern(numericPatterns.fourDigitsSigned, dateString);
    default:
      return parseNumericPattern(new RegExp("^-?\\d{1," + n + "}"), dateString);
  }
}
function dayPeriodEnumToHours(dayPeriod) {
  switch (dayPeriod) {
    case "morning":
      return 4;
    case "evening":
      return 17;
    case "pm":
    case "noon":
    case "afternoon":
      return 12;
    case "am":
    case "midnight":
    case "night":
    default:
      return 0;
  }
}
function normalizeTwoDigitYear(twoDigitYear, currentYear) {
  const isCommonEra = currentYear > 0;
  const absCurrentYear = isCommonEra ? currentYear : 1 - currentYear;
  let result;
  if (absCurrentYear <= 50) {
    result = twoDigitYear || 100;
  } else {
    const rangeEnd = absCurrentYear + 50;
    const rangeEndCentury = Math.trunc(rangeEnd / 100) * 100;
    const isPreviousCentury = twoDigitYear >= rangeEnd % 100;
    result = twoDigitYear + rangeEndCentury - (isPreviousCentury ? 100 : 0);
  }
  return isCommonEra ? result : 1 - result;
}
function isLeapYearIndex(year) {
  return year % 400 === 0 || year % 4 === 0 && year % 100 !== 0;
}

// node_modules/date-fns/parse/_lib/parsers/YearParser.js
var YearParser = class extends Parser {
  priority = 130;
  incompatibleTokens = ["Y", "R", "u", "w", "I", "i", "e", "c", "t", "T"];
  parse(dateString, token, match2) {
    const valueCallback = (year) => ({
      year,
      isTwoDigitYear: token === "yy"
    });
    switch (token) {
      case "y":
        return mapValue(parseNDigits(4, dateString), valueCallback);
      case "yo":
        return mapValue(
          match2.ordinalNumber(dateString, {
            unit: "year"
          }),
          valueCallback
        );
      default:
        return mapValue(parseNDigits(token.length, dateString), valueCallback);
    }
  }
  validate(_date, value) {
    return value.isTwoDigitYear || value.year > 0;
  }
  set(date, flags, value) {
    const currentYear = date.getFullYear();
    if (value.isTwoDigitYear) {
      const normalizedTwoDigitYear = normalizeTwoDigitYear(
        value.year,
        currentYear
      );
      date.setFullYear(normalizedTwoDigitYear, 0, 1);
      date.setHours(0, 0, 0, 0);
      return date;
    }
    const year = !("era" in flags) || flags.era === 1 ? value.year : 1 - value.year;
    date.setFullYear(year, 0, 1);
    date.setHours(0, 0, 0, 0);
    return date;
  }
};

// node_modules/date-fns/parse/_lib/parsers/LocalWeekYearParser.js
var LocalWeekYearParser = class extends Parser {
  priority = 130;
  parse(dateString, token, match2) {
    const valueCallback = (year) => ({
      year,
      isTwoDigitYear: token === "YY"
    });
    switch (token) {
      case "Y":
        return mapValue(parseNDigits(4, dateString), valueCallback);
      case "Yo":
        return mapValue(
          match2.ordinalNumber(dateString, {
            unit: "year"
          }),
          valueCallback
        );
      default:
        return mapValue(parseNDigits(token.length, dateString), valueCallback);
    }
  }
  validate(_date, value) {
    return value.isTwoDigitYear || value.year > 0;
  }
  set(date, flags, value, options) {
    const currentYear = getWeekYear(date, options);
    if (value.isTwoDigitYear) {
      const normalizedTwoDigitYear = normalizeTwoDigitYear(
        value.year,
        currentYear
      );
      date.setFullYear(
        normalizedTwoDigitYear,
        0,
        options.firstWeekContainsDate
      );
      date.setHours(0, 0, 0, 0);
      return startOfWeek(date, options);
    }
    const year = !("era" in flags) || flags.era === 1 ? value.year : 1 - value.year;
    date.setFullYear(year, 0, options.firstWeekContainsDate);
    date.setHours(0, 0, 0, 0);
    return startOfWeek(date, options);
  }
  incompatibleTokens = [
    "y",
    "R",
    "u",
    "Q",
    "q",
    "M",
    "L",
    "I",
    "d",
    "D",
    "i",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/ISOWeekYearParser.js
var ISOWeekYearParser = class extends Parser {
  priority = 130;
  parse(dateString, token) {
    if (token === "R") {
      return parseNDigitsSigned(4, dateString);
    }
    return parseNDigitsSigned(token.length, dateString);
  }
  set(date, _flags, value) {
    const firstWeekOfYear = constructFrom(date, 0);
    firstWeekOfYear.setFullYear(value, 0, 4);
    firstWeekOfYear.setHours(0, 0, 0, 0);
    return startOfISOWeek(firstWeekOfYear);
  }
  incompatibleTokens = [
    "G",
    "y",
    "Y",
    "u",
    "Q",
    "q",
    "M",
    "L",
    "w",
    "d",
    "D",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/ExtendedYearParser.js
var ExtendedYearParser = class extends Parser {
  priority = 130;
  parse(dateString, token) {
    if (token === "u") {
      return parseNDigitsSigned(4, dateString);
    }
    return parseNDigitsSigned(token.length, dateString);
  }
  set(date, _flags, value) {
    date.setFullYear(value, 0, 1);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["G", "y", "Y", "R", "w", "I", "i", "e", "c", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/QuarterParser.js
var QuarterParser = class extends Parser {
  priority = 120;
  parse(dateString, token, match2) {
    switch (token) {
      // 1, 2, 3, 4
      case "Q":
      case "QQ":
        return parseNDigits(token.length, dateString);
      // 1st, 2nd, 3rd, 4th
      case "Qo":
        return match2.ordinalNumber(dateString, { unit: "quarter" });
      // Q1, Q2, Q3, Q4
      case "QQQ":
        return match2.quarter(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.quarter(dateString, {
          width: "narrow",
          context: "formatting"
        });
      // 1, 2, 3, 4 (narrow quarter; could be not numerical)
      case "QQQQQ":
        return match2.quarter(dateString, {
          width: "narrow",
          context: "formatting"
        });
      // 1st quarter, 2nd quarter, ...
      case "QQQQ":
      default:
        return match2.quarter(dateString, {
          width: "wide",
          context: "formatting"
        }) || match2.quarter(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.quarter(dateString, {
          width: "narrow",
          context: "formatting"
        });
    }
  }
  validate(_date, value) {
    return value >= 1 && value <= 4;
  }
  set(date, _flags, value) {
    date.setMonth((value - 1) * 3, 1);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "Y",
    "R",
    "q",
    "M",
    "L",
    "w",
    "I",
    "d",
    "D",
    "i",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/StandAloneQuarterParser.js
var StandAloneQuarterParser = class extends Parser {
  priority = 120;
  parse(dateString, token, match2) {
    switch (token) {
      // 1, 2, 3, 4
      case "q":
      case "qq":
        return parseNDigits(token.length, dateString);
      // 1st, 2nd, 3rd, 4th
      case "qo":
        return match2.ordinalNumber(dateString, { unit: "quarter" });
      // Q1, Q2, Q3, Q4
      case "qqq":
        return match2.quarter(dateString, {
          width: "abbreviated",
          context: "standalone"
        }) || match2.quarter(dateString, {
          width: "narrow",
          context: "standalone"
        });
      // 1, 2, 3, 4 (narrow quarter; could be not numerical)
      case "qqqqq":
        return match2.quarter(dateString, {
          width: "narrow",
          context: "standalone"
        });
      // 1st quarter, 2nd quarter, ...
      case "qqqq":
      default:
        return match2.quarter(dateString, {
          width: "wide",
          context: "standalone"
        }) || match2.quarter(dateString, {
          width: "abbreviated",
          context: "standalone"
        }) || match2.quarter(dateString, {
          width: "narrow",
          context: "standalone"
        });
    }
  }
  validate(_date, value) {
    return value >= 1 && value <= 4;
  }
  set(date, _flags, value) {
    date.setMonth((value - 1) * 3, 1);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "Y",
    "R",
    "Q",
    "M",
    "L",
    "w",
    "I",
    "d",
    "D",
    "i",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/MonthParser.js
var MonthParser = class extends Parser {
  incompatibleTokens = [
    "Y",
    "R",
    "q",
    "Q",
    "L",
    "w",
    "I",
    "D",
    "i",
    "e",
    "c",
    "t",
    "T"
  ];
  priority = 110;
  parse(dateString, token, match2) {
    const valueCallback = (value) => value - 1;
    switch (token) {
      // 1, 2, ..., 12
      case "M":
        return mapValue(
          parseNumericPattern(numericPatterns.month, dateString),
          valueCallback
        );
      // 01, 02, ..., 12
      case "MM":
        return mapValue(parseNDigits(2, dateString), valueCallback);
      // 1st, 2nd, ..., 12th
      case "Mo":
        return mapValue(
          match2.ordinalNumber(dateString, {
            unit: "month"
          }),
          valueCallback
        );
      // Jan, Feb, ..., Dec
      case "MMM":
        return match2.month(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.month(dateString, { width: "narrow", context: "formatting" });
      // J, F, ..., D
      case "MMMMM":
        return match2.month(dateString, {
          width: "narrow",
          context: "formatting"
        });
      // January, February, ..., December
      case "MMMM":
      default:
        return match2.month(dateString, { width: "wide", context: "formatting" }) || match2.month(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.month(dateString, { width: "narrow", context: "formatting" });
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 11;
  }
  set(date, _flags, value) {
    date.setMonth(value, 1);
    date.setHours(0, 0, 0, 0);
    return date;
  }
};

// node_modules/date-fns/parse/_lib/parsers/StandAloneMonthParser.js
var StandAloneMonthParser = class extends Parser {
  priority = 110;
  parse(dateString, token, match2) {
    const valueCallback = (value) => value - 1;
    switch (token) {
      // 1, 2, ..., 12
      case "L":
        return mapValue(
          parseNumericPattern(numericPatterns.month, dateString),
          valueCallback
        );
      // 01, 02, ..., 12
      case "LL":
        return mapValue(parseNDigits(2, dateString), valueCallback);
      // 1st, 2nd, ..., 12th
      case "Lo":
        return mapValue(
          match2.ordinalNumber(dateString, {
            unit: "month"
          }),
          valueCallback
        );
      // Jan, Feb, ..., Dec
      case "LLL":
        return match2.month(dateString, {
          width: "abbreviated",
          context: "standalone"
        }) || match2.month(dateString, { width: "narrow", context: "standalone" });
      // J, F, ..., D
      case "LLLLL":
        return match2.month(dateString, {
          width: "narrow",
          context: "standalone"
        });
      // January, February, ..., December
      case "LLLL":
      default:
        return match2.month(dateString, { width: "wide", context: "standalone" }) || match2.month(dateString, {
          width: "abbreviated",
          context: "standalone"
        }) || match2.month(dateString, { width: "narrow", context: "standalone" });
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 11;
  }
  set(date, _flags, value) {
    date.setMonth(value, 1);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "Y",
    "R",
    "q",
    "Q",
    "M",
    "w",
    "I",
    "D",
    "i",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/setWeek.js
function setWeek(date, week, options) {
  const date_ = toDate(date, options?.in);
  const diff = getWeek(date_, options) - week;
  date_.setDate(date_.getDate() - diff * 7);
  return toDate(date_, options?.in);
}

// node_modules/date-fns/parse/_lib/parsers/LocalWeekParser.js
var LocalWeekParser = class extends Parser {
  priority = 100;
  parse(dateString, token, match2) {
    switch (token) {
      case "w":
        return parseNumericPattern(numericPatterns.week, dateString);
      case "wo":
        return match2.ordinalNumber(dateString, { unit: "week" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 1 && value <= 53;
  }
  set(date, _flags, value, options) {
    return startOfWeek(setWeek(date, value, options), options);
  }
  incompatibleTokens = [
    "y",
    "R",
    "u",
    "q",
    "Q",
    "M",
    "L",
    "I",
    "d",
    "D",
    "i",
    "t",
    "T"
  ];
};

// node_modules/date-fns/setISOWeek.js
function setISOWeek(date, week, options) {
  const _date = toDate(date, options?.in);
  const diff = getISOWeek(_date, options) - week;
  _date.setDate(_date.getDate() - diff * 7);
  return _date;
}

// node_modules/date-fns/parse/_lib/parsers/ISOWeekParser.js
var ISOWeekParser = class extends Parser {
  priority = 100;
  parse(dateString, token, match2) {
    switch (token) {
      case "I":
        return parseNumericPattern(numericPatterns.week, dateString);
      case "Io":
        return match2.ordinalNumber(dateString, { unit: "week" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 1 && value <= 53;
  }
  set(date, _flags, value) {
    return startOfISOWeek(setISOWeek(date, value));
  }
  incompatibleTokens = [
    "y",
    "Y",
    "u",
    "q",
    "Q",
    "M",
    "L",
    "w",
    "d",
    "D",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/DateParser.js
var DAYS_IN_MONTH = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
var DAYS_IN_MONTH_LEAP_YEAR = [
  31,
  29,
  31,
  30,
  31,
  30,
  31,
  31,
  30,
  31,
  30,
  31
];
var DateParser = class extends Parser {
  priority = 90;
  subPriority = 1;
  parse(dateString, token, match2) {
    switch (token) {
      case "d":
        return parseNumericPattern(numericPatterns.date, dateString);
      case "do":
        return match2.ordinalNumber(dateString, { unit: "date" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(date, value) {
    const year = date.getFullYear();
    const isLeapYear = isLeapYearIndex(year);
    const month = date.getMonth();
    if (isLeapYear) {
      return value >= 1 && value <= DAYS_IN_MONTH_LEAP_YEAR[month];
    } else {
      return value >= 1 && value <= DAYS_IN_MONTH[month];
    }
  }
  set(date, _flags, value) {
    date.setDate(value);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "Y",
    "R",
    "q",
    "Q",
    "w",
    "I",
    "D",
    "i",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/DayOfYearParser.js
var DayOfYearParser = class extends Parser {
  priority = 90;
  subpriority = 1;
  parse(dateString, token, match2) {
    switch (token) {
      case "D":
      case "DD":
        return parseNumericPattern(numericPatterns.dayOfYear, dateString);
      case "Do":
        return match2.ordinalNumber(dateString, { unit: "date" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(date, value) {
    const year = date.getFullYear();
    const isLeapYear = isLeapYearIndex(year);
    if (isLeapYear) {
      return value >= 1 && value <= 366;
    } else {
      return value >= 1 && value <= 365;
    }
  }
  set(date, _flags, value) {
    date.setMonth(0, value);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "Y",
    "R",
    "q",
    "Q",
    "M",
    "L",
    "w",
    "I",
    "d",
    "E",
    "i",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/setDay.js
function setDay(date, day, options) {
  const defaultOptions2 = getDefaultOptions();
  const weekStartsOn = options?.weekStartsOn ?? options?.locale?.options?.weekStartsOn ?? defaultOptions2.weekStartsOn ?? defaultOptions2.locale?.options?.weekStartsOn ?? 0;
  const date_ = toDate(date, options?.in);
  const currentDay = date_.getDay();
  const remainder = day % 7;
  const dayIndex = (remainder + 7) % 7;
  const delta = 7 - weekStartsOn;
  const diff = day < 0 || day > 6 ? day - (currentDay + delta) % 7 : (dayIndex + delta) % 7 - (currentDay + delta) % 7;
  return addDays(date_, diff, options);
}

// node_modules/date-fns/parse/_lib/parsers/DayParser.js
var DayParser = class extends Parser {
  priority = 90;
  parse(dateString, token, match2) {
    switch (token) {
      // Tue
      case "E":
      case "EE":
      case "EEE":
        return match2.day(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.day(dateString, { width: "short", context: "formatting" }) || match2.day(dateString, { width: "narrow", context: "formatting" });
      // T
      case "EEEEE":
        return match2.day(dateString, {
          width: "narrow",
          context: "formatting"
        });
      // Tu
      case "EEEEEE":
        return match2.day(dateString, { width: "short", context: "formatting" }) || match2.day(dateString, { width: "narrow", context: "formatting" });
      // Tuesday
      case "EEEE":
      default:
        return match2.day(dateString, { width: "wide", context: "formatting" }) || match2.day(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.day(dateString, { width: "short", context: "formatting" }) || match2.day(dateString, { width: "narrow", context: "formatting" });
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 6;
  }
  set(date, _flags, value, options) {
    date = setDay(date, value, options);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["D", "i", "e", "c", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/LocalDayParser.js
var LocalDayParser = class extends Parser {
  priority = 90;
  parse(dateString, token, match2, options) {
    const valueCallback = (value) => {
      const wholeWeekDays = Math.floor((value - 1) / 7) * 7;
      return (value + options.weekStartsOn + 6) % 7 + wholeWeekDays;
    };
    switch (token) {
      // 3
      case "e":
      case "ee":
        return mapValue(parseNDigits(token.length, dateString), valueCallback);
      // 3rd
      case "eo":
        return mapValue(
          match2.ordinalNumber(dateString, {
            unit: "day"
          }),
          valueCallback
        );
      // Tue
      case "eee":
        return match2.day(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.day(dateString, { width: "short", context: "formatting" }) || match2.day(dateString, { width: "narrow", context: "formatting" });
      // T
      case "eeeee":
        return match2.day(dateString, {
          width: "narrow",
          context: "formatting"
        });
      // Tu
      case "eeeeee":
        return match2.day(dateString, { width: "short", context: "formatting" }) || match2.day(dateString, { width: "narrow", context: "formatting" });
      // Tuesday
      case "eeee":
      default:
        return match2.day(dateString, { width: "wide", context: "formatting" }) || match2.day(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.day(dateString, { width: "short", context: "formatting" }) || match2.day(dateString, { width: "narrow", context: "formatting" });
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 6;
  }
  set(date, _flags, value, options) {
    date = setDay(date, value, options);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "y",
    "R",
    "u",
    "q",
    "Q",
    "M",
    "L",
    "I",
    "d",
    "D",
    "E",
    "i",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/StandAloneLocalDayParser.js
var StandAloneLocalDayParser = class extends Parser {
  priority = 90;
  parse(dateString, token, match2, options) {
    const valueCallback = (value) => {
      const wholeWeekDays = Math.floor((value - 1) / 7) * 7;
      return (value + options.weekStartsOn + 6) % 7 + wholeWeekDays;
    };
    switch (token) {
      // 3
      case "c":
      case "cc":
        return mapValue(parseNDigits(token.length, dateString), valueCallback);
      // 3rd
      case "co":
        return mapValue(
          match2.ordinalNumber(dateString, {
            unit: "day"
          }),
          valueCallback
        );
      // Tue
      case "ccc":
        return match2.day(dateString, {
          width: "abbreviated",
          context: "standalone"
        }) || match2.day(dateString, { width: "short", context: "standalone" }) || match2.day(dateString, { width: "narrow", context: "standalone" });
      // T
      case "ccccc":
        return match2.day(dateString, {
          width: "narrow",
          context: "standalone"
        });
      // Tu
      case "cccccc":
        return match2.day(dateString, { width: "short", context: "standalone" }) || match2.day(dateString, { width: "narrow", context: "standalone" });
      // Tuesday
      case "cccc":
      default:
        return match2.day(dateString, { width: "wide", context: "standalone" }) || match2.day(dateString, {
          width: "abbreviated",
          context: "standalone"
        }) || match2.day(dateString, { width: "short", context: "standalone" }) || match2.day(dateString, { width: "narrow", context: "standalone" });
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 6;
  }
  set(date, _flags, value, options) {
    date = setDay(date, value, options);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "y",
    "R",
    "u",
    "q",
    "Q",
    "M",
    "L",
    "I",
    "d",
    "D",
    "E",
    "i",
    "e",
    "t",
    "T"
  ];
};

// node_modules/date-fns/setISODay.js
function setISODay(date, day, options) {
  const date_ = toDate(date, options?.in);
  const currentDay = getISODay(date_, options);
  const diff = day - currentDay;
  return addDays(date_, diff, options);
}

// node_modules/date-fns/parse/_lib/parsers/ISODayParser.js
var ISODayParser = class extends Parser {
  priority = 90;
  parse(dateString, token, match2) {
    const valueCallback = (value) => {
      if (value === 0) {
        return 7;
      }
      return value;
    };
    switch (token) {
      // 2
      case "i":
      case "ii":
        return parseNDigits(token.length, dateString);
      // 2nd
      case "io":
        return match2.ordinalNumber(dateString, { unit: "day" });
      // Tue
      case "iii":
        return mapValue(
          match2.day(dateString, {
            width: "abbreviated",
            context: "formatting"
          }) || match2.day(dateString, {
            width: "short",
            context: "formatting"
          }) || match2.day(dateString, {
            width: "narrow",
            context: "formatting"
          }),
          valueCallback
        );
      // T
      case "iiiii":
        return mapValue(
          match2.day(dateString, {
            width: "narrow",
            context: "formatting"
          }),
          valueCallback
        );
      // Tu
      case "iiiiii":
        return mapValue(
          match2.day(dateString, {
            width: "short",
            context: "formatting"
          }) || match2.day(dateString, {
            width: "narrow",
            context: "formatting"
          }),
          valueCallback
        );
      // Tuesday
      case "iiii":
      default:
        return mapValue(
          match2.day(dateString, {
            width: "wide",
            context: "formatting"
          }) || match2.day(dateString, {
            width: "abbreviated",
            context: "formatting"
          }) || match2.day(dateString, {
            width: "short",
            context: "formatting"
          }) || match2.day(dateString, {
            width: "narrow",
            context: "formatting"
          }),
          valueCallback
        );
    }
  }
  validate(_date, value) {
    return value >= 1 && value <= 7;
  }
  set(date, _flags, value) {
    date = setISODay(date, value);
    date.setHours(0, 0, 0, 0);
    return date;
  }
  incompatibleTokens = [
    "y",
    "Y",
    "u",
    "q",
    "Q",
    "M",
    "L",
    "w",
    "d",
    "D",
    "E",
    "e",
    "c",
    "t",
    "T"
  ];
};

// node_modules/date-fns/parse/_lib/parsers/AMPMParser.js
var AMPMParser = class extends Parser {
  priority = 80;
  parse(dateString, token, match2) {
    switch (token) {
      case "a":
      case "aa":
      case "aaa":
        return match2.dayPeriod(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
      case "aaaaa":
        return match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
      case "aaaa":
      default:
        return match2.dayPeriod(dateString, {
          width: "wide",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
    }
  }
  set(date, _flags, value) {
    date.setHours(dayPeriodEnumToHours(value), 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["b", "B", "H", "k", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/AMPMMidnightParser.js
var AMPMMidnightParser = class extends Parser {
  priority = 80;
  parse(dateString, token, match2) {
    switch (token) {
      case "b":
      case "bb":
      case "bbb":
        return match2.dayPeriod(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
      case "bbbbb":
        return match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
      case "bbbb":
      default:
        return match2.dayPeriod(dateString, {
          width: "wide",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
    }
  }
  set(date, _flags, value) {
    date.setHours(dayPeriodEnumToHours(value), 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["a", "B", "H", "k", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/DayPeriodParser.js
var DayPeriodParser = class extends Parser {
  priority = 80;
  parse(dateString, token, match2) {
    switch (token) {
      case "B":
      case "BB":
      case "BBB":
        return match2.dayPeriod(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
      case "BBBBB":
        return match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
      case "BBBB":
      default:
        return match2.dayPeriod(dateString, {
          width: "wide",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "abbreviated",
          context: "formatting"
        }) || match2.dayPeriod(dateString, {
          width: "narrow",
          context: "formatting"
        });
    }
  }
  set(date, _flags, value) {
    date.setHours(dayPeriodEnumToHours(value), 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["a", "b", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/Hour1to12Parser.js
var Hour1to12Parser = class extends Parser {
  priority = 70;
  parse(dateString, token, match2) {
    switch (token) {
      case "h":
        return parseNumericPattern(numericPatterns.hour12h, dateString);
      case "ho":
        return match2.ordinalNumber(dateString, { unit: "hour" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 1 && value <= 12;
  }
  set(date, _flags, value) {
    const isPM = date.getHours() >= 12;
    if (isPM && value < 12) {
      date.setHours(value + 12, 0, 0, 0);
    } else if (!isPM && value === 12) {
      date.setHours(0, 0, 0, 0);
    } else {
      date.setHours(value, 0, 0, 0);
    }
    return date;
  }
  incompatibleTokens = ["H", "K", "k", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/Hour0to23Parser.js
var Hour0to23Parser = class extends Parser {
  priority = 70;
  parse(dateString, token, match2) {
    switch (token) {
      case "H":
        return parseNumericPattern(numericPatterns.hour23h, dateString);
      case "Ho":
        return match2.ordinalNumber(dateString, { unit: "hour" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 23;
  }
  set(date, _flags, value) {
    date.setHours(value, 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["a", "b", "h", "K", "k", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/Hour0To11Parser.js
var Hour0To11Parser = class extends Parser {
  priority = 70;
  parse(dateString, token, match2) {
    switch (token) {
      case "K":
        return parseNumericPattern(numericPatterns.hour11h, dateString);
      case "Ko":
        return match2.ordinalNumber(dateString, { unit: "hour" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 11;
  }
  set(date, _flags, value) {
    const isPM = date.getHours() >= 12;
    if (isPM && value < 12) {
      date.setHours(value + 12, 0, 0, 0);
    } else {
      date.setHours(value, 0, 0, 0);
    }
    return date;
  }
  incompatibleTokens = ["h", "H", "k", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/Hour1To24Parser.js
var Hour1To24Parser = class extends Parser {
  priority = 70;
  parse(dateString, token, match2) {
    switch (token) {
      case "k":
        return parseNumericPattern(numericPatterns.hour24h, dateString);
      case "ko":
        return match2.ordinalNumber(dateString, { unit: "hour" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 1 && value <= 24;
  }
  set(date, _flags, value) {
    const hours = value <= 24 ? value % 24 : value;
    date.setHours(hours, 0, 0, 0);
    return date;
  }
  incompatibleTokens = ["a", "b", "h", "H", "K", "t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/MinuteParser.js
var MinuteParser = class extends Parser {
  priority = 60;
  parse(dateString, token, match2) {
    switch (token) {
      case "m":
        return parseNumericPattern(numericPatterns.minute, dateString);
      case "mo":
        return match2.ordinalNumber(dateString, { unit: "minute" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 59;
  }
  set(date, _flags, value) {
    date.setMinutes(value, 0, 0);
    return date;
  }
  incompatibleTokens = ["t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/SecondParser.js
var SecondParser = class extends Parser {
  priority = 50;
  parse(dateString, token, match2) {
    switch (token) {
      case "s":
        return parseNumericPattern(numericPatterns.second, dateString);
      case "so":
        return match2.ordinalNumber(dateString, { unit: "second" });
      default:
        return parseNDigits(token.length, dateString);
    }
  }
  validate(_date, value) {
    return value >= 0 && value <= 59;
  }
  set(date, _flags, value) {
    date.setSeconds(value, 0);
    return date;
  }
  incompatibleTokens = ["t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/FractionOfSecondParser.js
var FractionOfSecondParser = class extends Parser {
  priority = 30;
  parse(dateString, token) {
    const valueCallback = (value) => Math.trunc(value * Math.pow(10, -token.length + 3));
    return mapValue(parseNDigits(token.length, dateString), valueCallback);
  }
  set(date, _flags, value) {
    date.setMilliseconds(value);
    return date;
  }
  incompatibleTokens = ["t", "T"];
};

// node_modules/date-fns/parse/_lib/parsers/ISOTimezoneWithZParser.js
var ISOTimezoneWithZParser = class extends Parser {
  priority = 10;
  parse(dateString, token) {
    switch (token) {
      case "X":
        return parseTimezonePattern(
          timezonePatterns.basicOptionalMinutes,
          dateString
        );
      case "XX":
        return parseTimezonePattern(timezonePatterns.basic, dateString);
      case "XXXX":
        return parseTimezonePattern(
          timezonePatterns.basicOptionalSeconds,
          dateString
        );
      case "XXXXX":
        return parseTimezonePattern(
          timezonePatterns.extendedOptionalSeconds,
          dateString
        );
      case "XXX":
      default:
        return parseTimezonePattern(timezonePatterns.extended, dateString);
    }
  }
  set(date, flags, value) {
    if (flags.timestampIsSet) return date;
    return constructFrom(
      date,
      date.getTime() - getTimezoneOffsetInMilliseconds(date) - value
    );
  }
  incompatibleTokens = ["t", "T", "x"];
};

// node_modules/date-fns/parse/_lib/parsers/ISOTimezoneParser.js
var ISOTimezoneParser = class extends Parser {
  priority = 10;
  parse(dateString, token) {
    switch (token) {
      case "x":
        return parseTimezonePattern(
          timezonePatterns.basicOptionalMinutes,
          dateString
        );
      case "xx":
        return parseTimezonePattern(timezonePatterns.basic, dateString);
      case "xxxx":
        return parseTimezonePattern(
          timezonePatterns.basicOptionalSeconds,
          dateString
        );
      case "xxxxx":
        return parseTimezonePattern(
          timezonePatterns.extendedOptionalSeconds,
          dateString
        );
      case "xxx":
      default:
        return parseTimezonePattern(timezonePatterns.extended, dateString);
    }
  }
  set(date, flags, value) {
    if (flags.timestampIsSet) return date;
    return constructFrom(
      date,
      date.getTime() - getTimezoneOffsetInMilliseconds(date) - value
    );
  }
  incompatibleTokens = ["t", "T", "X"];
};

// node_modules/date-fns/parse/_lib/parsers/TimestampSecondsParser.js
var TimestampSecondsParser = class extends Parser {
  priority = 40;
  parse(dateString) {
    return parseAnyDigitsSigned(dateString);
  }
  set(date, _flags, value) {
    return [constructFrom(date, value * 1e3), { timestampIsSet: true }];
  }
  incompatibleTokens = "*";
};

// node_modules/date-fns/parse/_lib/parsers/TimestampMillisecondsParser.js
var TimestampMillisecondsParser = class extends Parser {
  priority = 20;
  parse(dateString) {
    return parseAnyDigitsSigned(dateString);
  }
  set(date, _flags, value) {
    return [constructFrom(date, value), { timestampIsSet: true }];
  }
  incompatibleTokens = "*";
};

// node_modules/date-fns/parse/_lib/parsers.js
var parsers = {
  G: new EraParser(),
  y: new YearParser(),
  Y: new LocalWeekYearParser(),
  R: new ISOWeekYearParser(),
  u: new ExtendedYearParser(),
  Q: new QuarterParser(),
  q: new StandAloneQuarterParser(),
  M: new MonthParser(),
  L: new StandAloneMonthParser(),
  w: new LocalWeekParser(),
  I: new ISOWeekParser(),
  d: new DateParser(),
  D: new DayOfYearParser(),
  E: new DayParser(),
  e: new LocalDayParser(),
  c: new StandAloneLocalDayParser(),
  i: new ISODayParser(),
  a: new AMPMParser(),
  b: new AMPMMidnightParser(),
  B: new DayPeriodParser(),
  h: new Hour1to12Parser(),
  H: new Hour0to23Parser(),
  K: new Hour0To11Parser(),
  k: new Hour1To24Parser(),
  m: new MinuteParser(),
  s: new SecondParser(),
  S: new FractionOfSecondParser(),
  X: new ISOTimezoneWithZParser(),
  x: new ISOTimezoneParser(),
  t: new TimestampSecondsParser(),
  T: new TimestampMillisecondsParser()
};

// node_modules/date-fns/parse.js
var formattingTokensRegExp = /[yYQqMLwIdDecihHKkms]o|(\w)\1*|''|'(''|[^'])+('|$)|./g;
var longFormattingTokensRegExp = /P+p+|P+|p+|''|'(''|[^'])+('|$)|./g;
var escapedStringRegExp = /^'([^]*?)'?$/;
var doubleQuoteRegExp = /''/g;
var notWhitespaceRegExp = /\S/;
var unescapedLatinCharacterRegExp = /[a-zA-Z]/;
function parse(dateStr, formatStr, referenceDate, options) {
  const invalidDate = () => constructFrom(options?.in || referenceDate, NaN);
  const defaultOptions2 = getDefaultOptions2();
  const locale = options?.locale ?? defaultOptions2.locale ?? enUS;
  const firstWeekContainsDate = options?.firstWeekContainsDate ?? options?.locale?.options?.firstWeekContainsDate ?? defaultOptions2.firstWeekContainsDate ?? defaultOptions2.locale?.options?.firstWeekContainsDate ?? 1;
  const weekStartsOn = options?.weekStartsOn ?? options?.locale?.options?.weekStartsOn ?? defaultOptions2.weekStartsOn ?? defaultOptions2.locale?.options?.weekStartsOn ?? 0;
  if (!formatStr)
    return dateStr ? invalidDate() : toDate(referenceDate, options?.in);
  const subFnOptions = {
    firstWeekContainsDate,
    weekStartsOn,
    locale
  };
  const setters = [new DateTimezoneSetter(options?.in, referenceDate)];
  const tokens = formatStr.match(longFormattingTokensRegExp).map((substring) => {
    const firstCharacter = substring[0];
    if (firstCharacter in longFormatters) {
      const longFormatter = longFormatters[firstCharacter];
      return longFormatter(substring, locale.formatLong);
    }
    return substring;
  }).join("").match(formattingTokensRegExp);
  const usedTokens = [];
  for (let token of tokens) {
    if (!options?.useAdditionalWeekYearTokens && isProtectedWeekYearToken(token)) {
      warnOrThrowProtectedError(token, formatStr, dateStr);
    }
    if (!options?.useAdditionalDayOfYearTokens && isProtectedDayOfYearToken(token)) {
      warnOrThrowProtectedError(token, formatStr, dateStr);
    }
    const firstCharacter = token[0];
    const parser = parsers[firstCharacter];
    if (parser) {
      const { incompatibleTokens } = parser;
      if (Array.isArray(incompatibleTokens)) {
        const incompatibleToken = usedTokens.find(
          (usedToken) => incompatibleTokens.includes(usedToken.token) || usedToken.token === firstCharacter
        );
        if (incompatibleToken) {
          throw new RangeError(
            `The format string mustn't contain \`${incompatibleToken.fullToken}\` and \`${token}\` at the same time`
          );
        }
      } else if (parser.incompatibleTokens === "*" && usedTokens.length > 0) {
        throw new RangeError(
          `The format string mustn't contain \`${token}\` and any other token at the same time`
        );
      }
      usedTokens.push({ token: firstCharacter, fullToken: token });
      const parseResult = parser.run(
        dateStr,
        token,
        locale.match,
        subFnOptions
      );
      if (!parseResult) {
        return invalidDate();
      }
      setters.push(parseResult.setter);
      dateStr = parseResult.rest;
    } else {
      if (firstCharacter.match(unescapedLatinCharacterRegExp)) {
        throw new RangeError(
          "Format string contains an unescaped latin alphabet character `" + firstCharacter + "`"
        );
      }
      if (token === "''") {
        token = "'";
      } else if (firstCharacter === "'") {
        token = cleanEscapedString(token);
      }
      if (dateStr.indexOf(token) === 0) {
        dateStr = dateStr.slice(token.length);
      } else {
        return invalidDate();
      }
    }
  }
  if (dateStr.length > 0 && notWhitespaceRegExp.test(dateStr)) {
    return invalidDate();
  }
  const uniquePrioritySetters = setters.map((setter) => setter.priority).sort((a, b) => b - a).filter((priority, index, array) => array.indexOf(priority) === index).map(
    (priority) => setters.filter((setter) => setter.priority === priority).sort((a, b) => b.subPriority - a.subPriority)
  ).map((setterArray) => setterArray[0]);
  let date = toDate(referenceDate, options?.in);
  if (isNaN(+date)) return invalidDate();
  const flags = {};
  for (const setter of uniquePrioritySetters) {
    if (!setter.validate(date, subFnOptions)) {
      return invalidDate();
    }
    const result = setter.set(date, flags, subFnOptions);
    if (Array.isArray(result)) {
      date = result[0];
      Object.assign(flags, result[1]);
    } else {
      date = result;
    }
  }
  return date;
}
function cleanEscapedString(input) {
  return input.match(escapedStringRegExp)[1].replace(doubleQuoteRegExp, "'");
}

// src/rooms/texts.ts
var UNKEEPABLE = /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
var isKeepable = (text) => !UNKEEPABLE.test(text);

// src/core/cloth/cloth.ts
var usableWidth = ({ width, selvage }) => width - selvage[0] - selvage[1];

// src/core/cloth/lattice.ts
function latticeOf(repeat) {
  if (!repeat || repeat.across === 0 && repeat.along === 0) return null;
  return { across: repeat.across, along: repeat.along, shift: Math.round(repeat.drop * repeat.along) };
}
function wrap(value, step) {
  if (step === 0) return 0;
  const rest = value % step;
  return rest < 0 ? rest + step : rest + 0;
}
var nextAcross = (x, phase, { across }) => across === 0 ? x : x + wrap(phase - x, across);
var HARDLY = 2;
function missAcross({ from, to, phase }, lattice) {
  if (to < from) return from - to;
  const first = nextAcross(from, phase, lattice);
  const over = first - to;
  return over <= HARDLY ? 0 : Math.min(over, from - (first - lattice.across));
}
function canShareAPhase(spans, lattice) {
  if (spans.some(({ from, to }) => to < from)) return false;
  if (lattice.across === 0) return true;
  return spans.some(
    (one) => spans.every(({ from, to, phase }) => missAcross({ from, to, phase: one.from - one.phase + phase }, lattice) === 0)
  );
}

// src/core/cutlist/cloth-slips.ts
var NATURAL = ["cotton", "linen", "wool", "silk", "leather", "mixed"];
var NO_HEM = ["vinyl", "leather", "neoprene", "fleece"];
function hemTurns({ line, kind }) {
  const option = kind.options.find(({ id, type }) => id === "hem" && type === "hem");
  if (option?.type !== "hem") return 0;
  const given = line.options.hem;
  const turns = given === void 0 ? option.default.length : [given].flat().length;
  return given !== void 0 && [given].flat().every((turn) => turn === 0) ? 0 : turns;
}
var SLIPS = [
  {
    code: "fit-stiff",
    field: "fit",
    find: ({ line, kind, face }) => {
      const fit = line.fit ?? kind.defaultFit;
      if (face.nature?.give !== "none" || fit === "true" || line.measuredAs === "cut") return null;
      return `${face.name} does not give: cut ${fit}, the seams strain; true size is safer.`;
    }
  },
  {
    code: "fit-knit",
    field: "fit",
    find: ({ line, kind, face }) => face.nature?.give === "stretch" && (line.fit ?? kind.defaultFit) === "true" && kind.allowance.snug && line.measuredAs !== "cut" ? `${face.name} stretches: cut true size it hangs loose; snug is usual.` : null
  },
  {
    code: "overlap-knit",
    field: "options.overlap",
    find: ({ face, cover, say }) => {
      const { overlap } = cover.finished;
      if (face.nature?.give !== "stretch" || overlap === void 0 || overlap >= inches(4)) return null;
      return `A soft knit gapes at an overlap of ${say(overlap)}; ${say(inches(4))} is the least.`;
    }
  },
  {
    code: "hem-thick",
    field: "options.hem",
    find: (seen) => {
      const { nature, name } = seen.clothOf("back") ?? seen.face;
      if (!nature || hemTurns(seen) === 0) return null;
      if (NO_HEM.includes(nature.fibre)) return `${name} does not fray and is too thick to turn: write a hem of 0.`;
      return nature.weight === "heavy" && hemTurns(seen) > 1 ? `${name} is too heavy to turn twice: write one turn.` : null;
    }
  },
  {
    code: "hot-knife-natural",
    field: "options.edges",
    find: ({ line, face }) => line.options.edges === "hot-knife" && face.nature && face.nature.fibre !== "acrylic" ? `A hot knife ${NATURAL.includes(face.nature.fibre) ? "burns" : "is not for"} ${face.nature.fibre === "mixed" ? "a natural mix" : face.nature.fibre}; it seals acrylics only. Overlock, zigzag or pink the edges.` : null
  },
  {
    code: "motif-large",
    field: "matching",
    find: ({ line, cover, face, say }) => {
      const first = cover.pieces.find(({ match: match2 }) => match2);
      if (line.matching !== "centred" || !face.repeat || !first) return null;
      const { across, along } = face.repeat;
      if (across <= first.across && along <= first.along) return null;
      return `The pattern repeats every ${say(across)} by ${say(along)}, more than the ${first.name} of ${say(first.across)} by ${say(first.along)}: part of the motif falls off.`;
    }
  },
  {
    code: "strip-selvage",
    field: "cloth.welt",
    find: ({ cover, clothOf, say }) => {
      for (const strip of cover.strips) {
        const cloth = clothOf(strip.role);
        if (!cloth || usableWidth(cloth) === cloth.width) continue;
        const reach = (width) => strip.grain === "bias" ? width * Math.SQRT2 : width;
        const [full, usable] = [reach(cloth.width), reach(usableWidth(cloth))];
        const cuts = (one) => Math.ceil((strip.length - strip.loss) / (one - strip.loss));
        const [hoped, needed] = [cuts(full), cuts(usable)];
        if (hoped < 2 || needed <= hoped) continue;
        const made = Math.round(hoped * usable - (hoped - 1) * strip.loss);
        return `${hoped} strips across ${cloth.name} make ${say(made)} once the selvages are off, too little for ${strip.name} of ${say(strip.length)}: ${needed} are cut.`;
      }
      return null;
    }
  },
  {
    code: "cloth-light",
    field: "cloth.face",
    find: ({ kind, face }) => face.nature?.weight === "light" && kind.fill === "firm" && (kind.object === "block" || kind.object === "round") ? `${face.name} is light: it has no body on a boxed cover and wears through; take a heavier cloth or line it.` : null
  },
  {
    code: "direction-upright",
    field: "directions",
    find: ({ line, face, cover }) => {
      const laid = cover.pieces.find(
        ({ name }) => line.directions?.[name] === "across" || line.panels?.[name] === "sideways"
      );
      return laid && face.turns === "none" ? `${face.name} has a nap or an upright print: turned sideways, the ${laid.name} shows it lying down.` : null;
    }
  }
];
function clothWarnings(line, kind, cover, clothOf, units) {
  const face = clothOf("face");
  if (!face) return [];
  const seen = { line, kind, cover, face, clothOf, say: (length2) => printLength(length2, STYLES[units]) };
  return SLIPS.flatMap(({ code, field, find }) => {
    const message2 = find(seen);
    return message2 ? [{ code, field: field.replace(/^options\./, ""), message: message2, level: "warn" }] : [];
  });
}
var isHeavyToSew = ({ nature }) => nature !== void 0 && (nature.weight === "heavy" || ["vinyl", "leather"].includes(nature.fibre));
function stepOn(face, step) {
  if (!face || !step.stitch || !isHeavyToSew(face)) return step;
  return { ...step, stitch: step.stitch === "seam" ? "upholstery" : step.stitch, foot: step.foot ?? "walking foot" };
}
function clothSteps(face) {
  const { nature } = face ?? {};
  if (!face || !nature) return [];
  const steps = [];
  if (isHeavyToSew(face)) steps.push({ do: `${face.name}: a heavy needle; try the stitch on a scrap first.` });
  if (nature.fibre === "neoprene") steps.push({ do: `${face.name}: more thread tension, and a test piece first.` });
  if (["fleece", "vinyl", "acrylic", "polyester", "neoprene"].includes(nature.fibre))
    steps.push({
      do: `${face.name}: no hot iron; finger-press, or a cool iron under a cloth.`,
      caution: "Hot irons melt it and mark it for good."
    });
  return steps;
}

// src/core/cutlist/panels.ts
function turned(part) {
  const { across, along, axes, sum, outline, match: match2, centre } = part;
  const point = ([x, y]) => [along - y, x];
  const vector = ([x, y]) => [0 - y, x];
  return {
    ...part,
    across: along,
    along: across,
    axes: [axes[1], axes[0]],
    sum: [sum[1], sum[0]],
    ...outline && { outline: outline.map(point) },
    ...match2 && { match: { anchor: point(match2.anchor), delta: vector(match2.delta) }, group: "sideways" },
    ...centre && { centre: vector(centre) }
  };
}
function joinOf(across, usable, seam) {
  if (across <= usable || usable <= 4 * seam) return null;
  for (let wholes = 1; ; wholes += 2) {
    const side2 = Math.ceil((across - wholes * usable + 2 * seam * (wholes + 1)) / 2);
    if (side2 <= usable) return side2 > 2 * seam ? { wholes, whole: usable, side: side2 } : narrowed(across, wholes, seam);
  }
}
function narrowJoin(across, seam, miss) {
  const side2 = 4 * seam + miss;
  return { wholes: 1, side: side2, whole: across - 2 * side2 + 4 * seam };
}
function narrowed(across, wholes, seam) {
  const side2 = 4 * seam;
  return { wholes, side: side2, whole: Math.floor((across - 2 * side2 + 2 * seam * (wholes + 1)) / wholes) };
}
function joinedParts(part, join, seam, hasRepeat, units) {
  const n = (length2) => printNumber(length2, STYLES[units]).text;
  const { wholes, whole: whole2, side: side2 } = join;
  const widths = [side2, ...new Array(wholes).fill(whole2), side2];
  const sideSum = `(${n(part.across)} - ${wholes === 1 ? "" : `${wholes} x `}${n(whole2)} + ${2 * (wholes + 1)} x ${n(seam)}) / 2 = ${n(side2)}`;
  const names = [
    "left",
    ...wholes === 1 ? ["middle"] : Array.from({ length: wholes }, (_, i) => `middle ${i + 1}`),
    "right"
  ];
  const anchor = part.match?.anchor ?? [0, 0];
  const delta = part.match?.delta ?? [0, 0];
  let at = 0;
  return widths.map((width, i) => {
    const from = i === widths.length - 1 ? part.across - width : at;
    at += width - 2 * seam;
    const outline = part.outline && sliceOutline(part.outline, from, from + width);
    return {
      ...part,
      name: `${part.name}, ${names[i]}`,
      across: width,
      sum: [i === 0 || i === widths.length - 1 ? sideSum : `a whole width, ${n(width)}`, part.sum[1]],
      ...outline && { outline },
      isFixed: true,
      ...hasRepeat && { match: { anchor: [0, 0], delta: [from - anchor[0] + delta[0], delta[1] - anchor[1]] } },
      ...hasRepeat && !part.match && { group: `joined ${part.name}` }
    };
  });
}
function lengthInRows(parts, cloth) {
  const usable = usableWidth(cloth);
  const repeat = cloth.repeat?.along ?? 0;
  return parts.reduce((sum, { across, along, qty }) => {
    const rows = Math.ceil(qty / Math.max(1, Math.floor(usable / across)));
    return sum + rows * (repeat > 0 ? Math.ceil(along / repeat) * repeat : along);
  }, 0);
}

// src/core/cutlist/motif-places.ts
function spanOf({ across, match: match2, centre }, cloth) {
  const from = cloth.selvage[0];
  const start = match2.delta[0] - match2.anchor[0];
  const phase = centre ? (cloth.motif?.[0] ?? 0) + centre[0] + start : start;
  return { from, to: from + usableWidth(cloth) - across, phase };
}
function missOfMotif(part, cloth) {
  const lattice = latticeOf(cloth.repeat);
  if (!lattice || lattice.across === 0 || !part.match || !part.centre) return 0;
  return Math.ceil(missAcross(spanOf(part, cloth), lattice));
}
function waysOut(part, all, canJoin, cloth, lattice) {
  const alike = all.map(({ centre: _, ...rest }) => rest);
  const sideways = turned(part);
  return [
    part.centre && canShareAPhase(alike.map((one) => spanOf(one, cloth)), lattice) ? "match it all alike instead" : "",
    // prettier-ignore
    canJoin ? "join it from a whole width" : "",
    cloth.turns !== "none" && part.along <= usableWidth(cloth) && missOfMotif(sideways, cloth) === 0 ? "turn it sideways" : "",
    // prettier-ignore
    "take another cloth"
  ].filter(Boolean);
}
var inWords = (ways) => {
  const text = ways.length > 1 ? `${ways.slice(0, -1).join(", ")} or ${ways.at(-1)}` : ways[0];
  return `${text[0].toUpperCase()}${text.slice(1)}.`;
};
function motifMissed(part, all, canJoin, cloth, units) {
  const say = (length2) => printLength(length2, STYLES[units]);
  const lattice = latticeOf(cloth.repeat);
  return `The ${part.name}, ${say(part.across)} across, can\u2019t have its motif centred on ${cloth.name}, ${say(usableWidth(cloth))} between its selvages: where the pattern is right for it, it would reach ${say(missOfMotif(part, cloth))} past the edge. ${inWords(waysOut(part, all, canJoin, cloth, lattice))}`;
}
function alikeMissed(parts, cloth, units) {
  const lattice = latticeOf(cloth.repeat);
  const alike = parts.filter(
    ({ match: match2, centre, group, across }) => match2 && !centre && !group && across <= usableWidth(cloth)
  );
  if (!lattice || alike.length < 2 || canShareAPhase(alike.map((one) => spanOf(one, cloth)), lattice)) return null;
  const say = (length2) => printLength(length2, STYLES[units]);
  const widest = alike.reduce((most, one) => one.across > most.across ? one : most);
  return `The ${widest.name}, ${say(widest.across)} across, can\u2019t show the same piece of the pattern as the other parts on ${cloth.name}, ${say(usableWidth(cloth))} between its selvages. Cut it without matching, turn it sideways or take another cloth.`;
}

// src/core/cutlist/cut-list.ts
var MOST_COVERS = 1e4;
function cutList(lines, units, room = {}) {
  const list = { pieces: [], strips: [], notions: [], steps: [], inspections: [], warnings: [], wide: [] };
  const faults = [];
  for (const line of lines) {
    const found = addLine(list, line, units, room);
    faults.push(...found.map((fault) => ({ ...fault, field: `${line.id}.${fault.field}` })));
  }
  return faults.length > 0 ? { ok: false, faults } : ok(list);
}
function addLine(list, line, units, { kinds = BUILT_IN, cloths }) {
  const kind = kinds.find(line.kind, line.kindVersion);
  if (!kind) return [{ code: "kind-unknown", field: "kind", message: `\u201C${line.kind}\u201D is not a cover kind.` }];
  if (!Number.isInteger(line.qty) || line.qty < 1 || line.qty > MOST_COVERS) {
    return [
      {
        code: "quantity",
        field: "qty",
        message: `The quantity must be a whole number from 1 to ${MOST_COVERS.toLocaleString("en")}.`
      }
    ];
  }
  const result = takeOff(kind, { ...line, units });
  if (!result.ok)
    return result.faults.map((fault) => ({
      ...fault,
      field: placeOf(
        fault.field,
        kind.measures.map(({ id: id2 }) => id2)
      )
    }));
  const cover = result.value;
  const before = list.pieces.length;
  const clothOf = (role) => cloths?.get(clothFor(line, role).cloth);
  const id = { line: line.id };
  for (const part of partsOf(list, line, cover, clothOf, units)) {
    list.pieces.push(Object.assign(part, id, clothFor(line, part.role), { qty: part.qty * line.qty }));
  }
  const copies = list.pieces.slice(before).reduce((sum, { qty }) => sum + qty, 0) + cover.strips.reduce((sum, { qty }) => sum + qty * line.qty, 0);
  if (copies > MOST_COVERS)
    return [
      {
        code: "copies",
        field: "qty",
        message: `${line.qty.toLocaleString("en")} of these are cut as ${copies.toLocaleString("en")} parts, and ${MOST_COVERS.toLocaleString("en")} are the most; divide them over several orders.`
      }
    ];
  for (const strip of cover.strips)
    list.strips.push(Object.assign(strip, id, clothFor(line, strip.role), { qty: strip.qty * line.qty }));
  for (const notion of cover.notions) list.notions.push(Object.assign(notion, id, { qty: notion.qty * line.qty }));
  for (const one of cover.inspections) list.inspections.push(Object.assign(one, id));
  const ofCloth = clothSteps(clothOf("face"));
  ofCloth.forEach((step, i) => list.steps.push({ ...step, ...id, n: i + 1 }));
  for (const step of cover.steps)
    list.steps.push(Object.assign(stepOn(clothOf("face"), step), id, { n: ofCloth.length + step.n }));
  const slips = clothWarnings(line, kind, cover, (role) => clothOf(role), units);
  list.warnings.push(...[...cover.warnings, ...slips].map((warning) => ({ ...id, ...warning })));
  return [];
}
function partsOf(list, line, { pieces, centre, seam }, clothOf, units) {
  const isMatched = line.matching !== void 0 && line.matching !== "none";
  const first = pieces.find(({ match: match2 }) => match2);
  const isTurned = (name) => line.directions?.[name] === "across";
  const parts = pieces.map(({ match: match2, ...piece }) => {
    const part = piece;
    if (isMatched && match2) part.match = match2;
    if (part.match && line.matching === "centred" && centre && isTurned(piece.name) === isTurned(first.name))
      part.centre = [first.match.anchor[0] - centre[0], first.match.anchor[1] - centre[1]];
    const direction = line.directions?.[piece.name];
    const laid = direction === "across" ? turned(part) : part;
    if (direction === "along" || direction === "across") laid.isFixed = true;
    return laid;
  });
  const onCloth = (cloth) => parts.filter(({ role }) => clothOf(role) === cloth);
  for (const cloth of new Set(parts.flatMap(({ role }) => clothOf(role) ?? []))) {
    const message2 = alikeMissed(onCloth(cloth), cloth, units);
    if (message2)
      list.warnings.push({ line: line.id, code: "motif-no-place", field: "matching", level: "stop", message: message2 });
  }
  return parts.flatMap((part) => {
    const cloth = clothOf(part.role);
    if (!cloth) return [part];
    if (missOfMotif(part, cloth) === 0) return fitted(list, line, part, cloth, seam, units);
    const others = onCloth(cloth).filter(({ match: match2, group }) => match2 && !group);
    return moved(list, line, part, others, cloth, seam, units);
  });
}
function moved(list, line, part, others, cloth, seam, units) {
  const usable = usableWidth(cloth);
  if (part.across > usable) return fitted(list, line, part, cloth, seam, units);
  const joined = joinedParts(part, narrowJoin(part.across, seam, missOfMotif(part, cloth)), seam, true, units);
  const canJoin = joined.every((one) => missOfMotif(one, cloth) === 0);
  const chosen = canJoin && line.panels?.[part.name] === "join" ? "join" : null;
  if (canJoin) {
    const length2 = lengthOfCovers(joined, line.qty, cloth);
    list.wide.push({
      line: line.id,
      part: part.name,
      cloth: cloth.name,
      across: part.across,
      usable,
      why: "motif",
      ways: [{ way: "join", pieces: joined.length, length: length2 }],
      chosen
    });
  }
  if (chosen) return joined;
  const message2 = motifMissed(part, others, canJoin, cloth, units);
  list.warnings.push({ line: line.id, code: "motif-no-place", field: "matching", level: "stop", message: message2 });
  return [part];
}
var lengthOfCovers = (parts, covers, cloth) => lengthInRows(
  parts.map((one) => ({ ...one, qty: one.qty * covers })),
  cloth
);
function fitted(list, line, part, cloth, seam, units) {
  const usable = usableWidth(cloth);
  const join = joinOf(part.across, usable, seam);
  if (!join) return [part];
  const joined = joinedParts(part, join, seam, cloth.repeat !== null, units);
  const sideways = part.along <= usable ? { ...turned(part), isFixed: true } : null;
  const ways = [
    { way: "join", pieces: joined.length, length: lengthOfCovers(joined, line.qty, cloth) }
  ];
  if (sideways) ways.push({ way: "sideways", pieces: 1, length: lengthOfCovers([sideways], line.qty, cloth) });
  const usual = sideways && cloth.turns === "any" && !cloth.repeat ? "sideways" : "join";
  const wanted = line.panels?.[part.name] ?? usual;
  const chosen = wanted === "sideways" && sideways ? "sideways" : "join";
  list.wide.push({
    line: line.id,
    part: part.name,
    cloth: cloth.name,
    across: part.across,
    usable,
    why: "width",
    ways,
    chosen
  });
  const say = (length2) => printLength(length2, STYLES[units]);
  list.warnings.push({
    line: line.id,
    code: "panel-wide",
    field: "panels",
    level: "warn",
    message: chosen === "join" ? `The ${part.name} is ${say(part.across)} across and ${cloth.name} ${say(usable)} between its selvages: it is joined from ${joined.length} widths, the whole one in the middle.` : `The ${part.name} is ${say(part.across)} across and ${cloth.name} ${say(usable)} between its selvages: it is run along the bolt.`
  });
  return chosen === "join" ? joined : [sideways];
}
var placeOf = (field, measures) => field === "" ? "kind" : field === "fit" ? field : field === "outline" || measures.includes(field) ? `measures.${field}` : `options.${field}`;
function clothFor({ cloth }, role) {
  const own = cloth[role];
  if (own === void 0 && isMaterial(role)) return { role, cloth: role };
  return { role: own === void 0 && role === "back" ? "face" : role, cloth: own ?? cloth.face ?? "unnamed" };
}

// src/rooms/house/form.ts
function inOrderUnits(text, house, order) {
  if (house === order || text.trim() === "") return text;
  const unit = house === "in" ? "in" : "cm";
  return text.split("+").map((turn) => /[a-z"'’”]/i.test(turn) ? turn.trim() : `${turn.trim()} ${unit}`).join(" + ");
}

// src/rooms/orders/form.ts
var FIT_LABELS = { true: "True size", snug: "Snug", overfull: "Overfull" };
var MATCHING_LABELS = {
  none: "Not matched",
  alike: "All alike",
  centred: "Motif centred"
};
function emptyLine(kind, house, units = house?.units ?? "in") {
  const has = (id) => kind.options.some((option) => option.id === id);
  const isPadded = ["pad", "block", "round", "bolster", "stool"].includes(kind.object);
  const typed = {};
  if (house?.seam && isPadded && has("seam")) typed.seam = inOrderUnits(house.seam, house.units, units);
  if (house?.hem && has("hem")) typed.hem = inOrderUnits(house.hem, house.units, units);
  return {
    id: null,
    kind: kind.id,
    kindVersion: kind.version,
    qty: "1",
    fit: house?.fit && kind.allowance[house.fit] !== void 0 ? house.fit : kind.defaultFit,
    measuredAs: "finished",
    matching: "none",
    typed,
    choices: house?.grain && has("grain") ? { grain: house.grain } : {},
    outline: "",
    directions: {},
    panels: {},
    cloth: {}
  };
}
function rolesOf(kind, choices) {
  const open = new Set(openOptions(kind, choices).map(({ id }) => id));
  const hasWelt = kind.strips.some(({ role }) => role === "welt") && (!kind.options.some(({ id }) => id === "cord") || open.has("cord"));
  const roles = /* @__PURE__ */ new Set(["face", ...kind.pieces.map(({ role }) => role).filter((role) => !isMaterial(role))]);
  if (hasWelt) roles.add("welt");
  return [...roles];
}
function readLineForm(form, units, id, kinds) {
  const faults = [];
  const lengths = [];
  const line = {
    id,
    kind: form.kind,
    kindVersion: form.kindVersion,
    qty: readQty(form.qty, faults),
    measures: {},
    options: {},
    fit: form.fit,
    measuredAs: form.measuredAs,
    matching: form.matching,
    directions: form.directions,
    panels: form.panels,
    cloth: {}
  };
  const kind = kinds.find(form.kind, form.kindVersion);
  if (!kind)
    return {
      line,
      lengths,
      faults: [{ code: "kind-unknown", field: "kind", message: "Choose what kind of cover it is." }]
    };
  const read = (name, part, text, isMeasure) => {
    const length2 = parseLength(text, units === "in" ? "in" : "cm", `typed.${name}`);
    if (length2.ok) lengths.push({ name, part, isMeasure, nm: length2.value, typed: text.trim() });
    else faults.push(...length2.faults);
    return length2.ok ? length2.value : null;
  };
  if (kind.outline && form.outline.trim()) {
    const outline = readOutline(form.outline, units);
    if (outline.ok) line.outline = outline.value;
    else faults.push(...outline.faults);
  }
  const traced = kind.outline && form.outline.trim() ? [kind.outline.across, kind.outline.along] : [];
  for (const { id: name, label, default: usual } of kind.measures) {
    if (traced.includes(name)) continue;
    const text = form.typed[name]?.trim() ?? "";
    if (text === "" && usual !== void 0) continue;
    if (text === "") {
      faults.push({ code: "measure-missing", field: `typed.${name}`, message: `${label} is needed.` });
      continue;
    }
    const value = read(name, 0, text, true);
    if (value !== null) line.measures[name] = value;
  }
  for (const option of openOptions(kind, form.choices)) readOption(option, form, line, faults, read);
  for (const role of rolesOf(kind, form.choices)) if (form.cloth[role]) line.cloth[role] = form.cloth[role];
  if (!line.cloth.face) faults.push({ code: "cloth-missing", field: "cloth.face", message: "Choose the cloth." });
  return { line, lengths, faults };
}
function readOutline(text, units) {
  const lines = text.split(/[\n;]/).filter((line) => line.trim());
  const corners = [];
  for (const line of lines) {
    const parts = line.split(",");
    const read = parts.map((part) => parseLength(part.trim(), units === "in" ? "in" : "cm"));
    const [x, y] = read;
    if (parts.length !== 2 || !x?.ok || !y?.ok)
      return refuse("outline", "outline", `\u201C${line.trim()}\u201D is not a corner; write it like 12 1/2, 3.`);
    corners.push([x.value, y.value]);
  }
  if (corners.length < 3 || corners.length > 500)
    return refuse("outline", "outline", "An outline has 3 to 500 corners, one a line.");
  return ok(corners);
}
function readQty(text, faults) {
  const qty = Number(text);
  if (/^\d+$/.test(text.trim()) && qty >= 1 && qty <= 1e4) return qty;
  faults.push({
    code: "quantity",
    field: "qty",
    message: `\u201C${text}\u201D is not a number of covers; write a whole number from 1 to 10,000.`
  });
  return 1;
}
function readOption(option, form, line, faults, read) {
  if (option.type === "choice") {
    if (form.choices[option.id]) line.options[option.id] = form.choices[option.id];
    return;
  }
  if (option.type === "count") {
    const amount = form.choices[option.id]?.trim() ?? "";
    if (/^\d{1,3}$/.test(amount) && Number(amount) <= 100) line.options[option.id] = Number(amount);
    else if (amount !== "") {
      const message2 = `\u201C${amount}\u201D is not a number of ${option.label.toLowerCase()}; write a whole number from 0 to 100.`;
      faults.push({ code: "option-count", field: `choices.${option.id}`, message: message2 });
    }
    return;
  }
  const text = form.typed[option.id]?.trim() ?? "";
  if (text === "") return;
  const turns = option.type === "hem" ? text.split("+") : [text];
  const values = turns.map((turn, part) => read(option.id, part, turn, false)).filter((value) => value !== null);
  if (values.length === turns.length) line.options[option.id] = option.type === "hem" ? values : values[0];
}
function toFormField(fault, kind) {
  const [, group, name] = fault.field.split(".");
  if (name === "outline" || group === "outline") return { ...fault, field: "outline" };
  if (group === "measures" || group === "options") {
    const isChoice = kind?.options.some(({ id, type }) => id === name && (type === "choice" || type === "count"));
    return { ...fault, field: isChoice ? `choices.${name}` : `typed.${name}` };
  }
  return { ...fault, field: group ?? fault.field };
}

// src/rooms/orders/accept.ts
function acceptLine(form, units, room) {
  const kind = room.kinds.find(form.kind, form.kindVersion);
  const read = readLineForm(form, units, "1", room.kinds);
  const unknown = Object.entries(form.cloth).flatMap(
    ([role, id]) => id && !room.cloths.has(id) ? [{ code: "cloth-unknown", field: `cloth.${role}`, message: "This cloth is no longer kept; choose another." }] : []
  );
  const faults = [...read.faults, ...unknown];
  if (faults.length > 0 || !kind) return { faults };
  const list = cutList([read.line], units, room);
  if (!list.ok) return { faults: list.faults.map((fault) => toFormField(fault, kind)) };
  const stops = list.value.warnings.filter(({ level }) => level === "stop");
  if (stops.length > 0)
    return { faults: stops.map(({ code, field, message: message2 }) => ({ code, message: message2, field: stopField(field) })) };
  return { line: { form, kind, outline: read.line.outline, lengths: read.lengths } };
}
var stopField = (field) => field === "matching" || field === "panels" ? field : `typed.${field}`;

// src/rooms/orders/sheet.ts
var MOST_LINES = 500;
var DAY_FORMATS = ["yyyy-MM-dd", "d MMM yyyy", "d MMMM yyyy", "d.M.yyyy", "MMM d yyyy"];
function checkSheet(sheet, fields, room, isPartial = false) {
  const orders = /* @__PURE__ */ new Map();
  const faults = [];
  const badRows = [];
  const badOrders = /* @__PURE__ */ new Set();
  const at = (field) => fields.indexOf(field);
  sheet.rows.forEach((cells, row) => {
    if (cells.every((cell) => cell.trim() === "")) return;
    const told = [];
    const tell = (field, message2) => {
      const column = at(field);
      if (column < 0 || !told.some((one) => one.column === column)) told.push({ row, column, message: message2 });
    };
    cells.forEach((cell, column) => {
      if (fields[column] && !isKeepable(cell))
        told.push({ row, column, message: "This cell holds a character that can\u2019t be kept; write it again by hand." });
      else if (fields[column] && cell.trimStart().startsWith("="))
        told.push({ row, column, message: "This cell holds a formula; write its value instead." });
    });
    const text = (field) => at(field) < 0 ? "" : (cells[at(field)] ?? "").trim();
    const units = unitsOf(text("units"), room.house.units);
    if (units === null) tell("units", `\u201C${text("units")}\u201D is not a system of units; write in or cm.`);
    const due = dayOf(text("due"), room.usualDue);
    if (due === null)
      tell("due", `\u201C${text("due")}\u201D is not a day without doubt; write it like 2027-02-12 or 12 Feb 2027.`);
    const customer = text("customer");
    if (customer === "") tell("customer", "Say who the order is for.");
    if (customer.length > 120) tell("customer", "A customer\u2019s name has at most 120 letters.");
    if (text("notes").length > 4e3) tell("notes", "Notes have at most 4,000 letters.");
    const made = units === null ? null : lineOf(cells, fields, units, room, tell);
    const line = told.length > 0 ? null : made;
    const key = text("order") || `${customer.toLowerCase()} ${due} ${units}`;
    const order = orders.get(key);
    if (line && order && order.lines.length >= MOST_LINES) tell("order", `An order has at most ${MOST_LINES} lines.`);
    if (line && order && (order.form.customer.toLowerCase() !== customer.toLowerCase() || order.form.units !== units))
      tell("order", `Order \u201C${text("order")}\u201D is of another customer or in other units further up.`);
    if (told.length > 0) {
      faults.push(...told);
      badRows.push(row);
      badOrders.add(key);
      return;
    }
    if (order) {
      order.lines.push(line);
      order.rows.push(row);
    } else
      orders.set(key, {
        rows: [row],
        form: { customer, due, units, notes: text("notes") },
        lines: [line]
      });
  });
  const good = [...orders].flatMap(([key, order]) => isPartial || !badOrders.has(key) ? [order] : []);
  const goodRows = good.reduce((sum, { rows }) => sum + rows.length, 0);
  return { orders: good, faults, goodRows, badRows, heldBack: orders.size - good.length };
}
function lineOf(cells, fields, units, room, tell) {
  const told = /* @__PURE__ */ new Set();
  const fault = (field, message2) => {
    if (!told.has(field)) tell(field, message2);
    told.add(field);
  };
  const text = (field) => fields.includes(field) ? (cells[fields.indexOf(field)] ?? "").trim() : "";
  const kind = kindOf(text("kind"), room.kinds.current);
  if (!kind) {
    fault(
      "kind",
      text("kind") === "" ? "Say what kind of cover it is." : `\u201C${text("kind")}\u201D is not a kind of cover that this house knows.`
    );
    return null;
  }
  const line = { ...emptyLine(kind, room.house, units), qty: text("qty") || "1" };
  const word2 = (field, labels, also = {}) => {
    const given = text(field).toLowerCase();
    if (given === "") return void 0;
    const found = Object.entries(labels).find(
      ([id, label]) => id === given || label.toLowerCase() === given
    );
    const known = found?.[0] ?? also[given];
    if (known === void 0)
      fault(field, `\u201C${text(field)}\u201D is not one of ${Object.values(labels).join(", ").toLowerCase()}.`);
    return known;
  };
  const fit = word2("fit", FIT_LABELS, { true: "true" });
  if (fit && kind.allowance[fit] === void 0) fault("fit", `${kind.name} is not made ${fit}.`);
  else if (fit) line.fit = fit;
  line.matching = word2("matching", MATCHING_LABELS) ?? "none";
  line.measuredAs = word2("measuredAs", { finished: "of the form", cut: "an old cover\u2019s cut edges" }) ?? "finished";
  fields.forEach((field, column) => {
    const given = (cells[column] ?? "").trim();
    const [group, name] = field.split(":");
    if (given === "" || name === void 0) return;
    if (group === "cloth") {
      const id = room.clothIds.get(given.toLowerCase());
      if (!id) fault(field, `\u201C${given}\u201D is not a cloth that this house keeps.`);
      else line.cloth[name] = id;
    } else if (group === "value") setValue(kind, line, name, given, (message2) => fault(field, message2));
  });
  const roles = new Set(rolesOf(kind, line.choices));
  for (const role of Object.keys(line.cloth)) if (!roles.has(role)) delete line.cloth[role];
  const accepted = acceptLine(line, units, room);
  if ("faults" in accepted) for (const { field, message: message2 } of accepted.faults) fault(columnOf(field), message2);
  return told.size === 0 && "line" in accepted ? accepted.line : null;
}
var columnOf = (field) => field.replace(/^(typed|choices)\./, "value:").replace(/^cloth\./, "cloth:").replace(/^kind$/, "kind");
function setValue(kind, line, name, given, fault) {
  const option = kind.options.find(({ id }) => id === name);
  if (kind.measures.some(({ id }) => id === name) || option?.type === "length" || option?.type === "hem") {
    line.typed[name] = given;
    return;
  }
  if (!option) return fault(`This is not asked for on \u201C${kind.name}\u201D; leave the cell empty.`);
  if (option.type === "count") {
    line.choices[name] = given;
    return;
  }
  const wanted = given.toLowerCase();
  const choice = option.type === "choice" ? option.choices.find(({ id, label }) => id.toLowerCase() === wanted || label.toLowerCase() === wanted) : void 0;
  if (choice) line.choices[name] = choice.id;
  else if (option.type === "choice")
    fault(`\u201C${given}\u201D is not one of ${option.choices.map(({ label }) => label).join(", ")}.`);
}
function kindOf(text, kinds) {
  const wanted = text.toLowerCase();
  if (wanted === "") return void 0;
  return kinds.find(
    ({ id, name, letter }) => id === wanted || name.toLowerCase() === wanted || letter.toLowerCase() === wanted
  );
}
function unitsOf(text, usual) {
  const given = text.toLowerCase();
  if (given === "") return usual;
  if (["in", "inch", "inches", '"'].includes(given)) return "in";
  return ["mm", "cm", "metric", "millimetres", "centimetres"].includes(given) ? "mm" : null;
}
function dayOf(text, usual) {
  if (text === "") return usual;
  const slashes = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(text);
  if (slashes) {
    const [a, b] = [Number(slashes[1]), Number(slashes[2])];
    if (a <= 12 && b <= 12 && a !== b) return null;
    return dayOf(
      `${slashes[3]}-${String(a > 12 ? b : a).padStart(2, "0")}-${String(a > 12 ? a : b).padStart(2, "0")}`,
      usual
    );
  }
  for (const format of DAY_FORMATS) {
    const day = parse(text.replace(/,/g, ""), format, new Date(2e3, 0, 1));
    if (isValid(day) && day.getFullYear() > 1900 && day.getFullYear() < 2200)
      return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, "0")}-${String(day.getDate()).padStart(2, "0")}`;
  }
  return null;
}

// src/work/sheet-worker.ts
import ExcelJS from "exceljs";
import Papa from "papaparse";
import yauzl from "yauzl";

// src/core/files/order-sheet.ts
var MOST_SHEET_ROWS = 1e4;
var MOST_SHEET_BYTES = 1e7;

// src/work/sheet-worker.ts
var MOST_UNPACKED = 8e7;
var MOST_COLUMNS = 200;
var MOST_CELL = 4e3;
var PASSED_OVER = [
  "dataValidations",
  "mergeCells",
  "conditionalFormatting",
  "cols",
  "sheetViews",
  "hyperlinks",
  "drawing",
  "legacyDrawing",
  "tableParts",
  "autoFilter",
  "extLst",
  "rowBreaks",
  "colBreaks",
  "pageSetup",
  "headerFooter"
];
var XLSX = [80, 75, 3, 4];
var OLD_XLS = [208, 207, 17, 224];
var startsWith = (bytes, signature) => signature.every((byte, i) => bytes[i] === byte);
var no = (message2) => refuse("sheet", "file", message2);
async function readSheet({ bytes }) {
  if (bytes.length > MOST_SHEET_BYTES) return no(`The file is larger than ${MOST_SHEET_BYTES / 1e6} MB; split it.`);
  if (bytes.length === 0) return no("The file is empty.");
  if (startsWith(bytes, OLD_XLS)) return no("This is an old .xls workbook; save it as .xlsx or CSV and try again.");
  try {
    return startsWith(bytes, XLSX) ? await readWorkbook(bytes) : readText(bytes);
  } catch {
    return no("The file can\u2019t be read as a table: it is damaged, or not a CSV or XLSX file.");
  }
}
function readText(bytes) {
  const encoding = bytes[0] === 255 && bytes[1] === 254 ? "utf-16le" : "utf-8";
  let text;
  try {
    text = new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    text = new TextDecoder("windows-1252").decode(bytes);
  }
  if (/[\u0000-\u0008\u000e-\u001f]/.test(text))
    return no("This is not a table of text: it is not a CSV or XLSX file.");
  const { data } = Papa.parse(text.replace(/^\ufeff/, ""), {
    skipEmptyLines: "greedy",
    preview: MOST_SHEET_ROWS + 2
  });
  return toSheet(data);
}
async function readWorkbook(bytes) {
  const size = await unpackedSize(Buffer.from(bytes));
  if (size === null) return no(`The workbook unpacks to more than ${MOST_UNPACKED / 1e6} MB; that is no order list.`);
  const book = new ExcelJS.Workbook();
  const options = { ignoreNodes: PASSED_OVER, maxRows: 4 * MOST_SHEET_ROWS, maxCols: 10 * MOST_COLUMNS };
  await book.xlsx.load(Buffer.from(bytes), options);
  const sheet = book.worksheets.find(({ state, rowCount }) => state === "visible" && rowCount > 0);
  if (!sheet) return no("The workbook has no sheet with anything on it.");
  if (sheet.rowCount > 4 * MOST_SHEET_ROWS || sheet.columnCount > 10 * MOST_COLUMNS)
    return no(
      `The sheet has ${sheet.rowCount.toLocaleString("en")} rows and ${sheet.columnCount} columns; at most ${MOST_SHEET_ROWS.toLocaleString("en")} rows are read.`
    );
  const rows = [];
  sheet.eachRow({ includeEmpty: false }, (row) => {
    const cells = [];
    row.eachCell({ includeEmpty: false }, (cell, column) => {
      if (column > MOST_COLUMNS) return;
      while (cells.length < column - 1) cells.push("");
      cells[column - 1] = cellText(cell);
    });
    if (cells.some((cell) => cell.trim())) rows.push(cells);
  });
  return toSheet(rows);
}
function cellText(cell) {
  const { value } = cell;
  if (value === null || value === void 0) return "";
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value !== "object") return String(value);
  if ("formula" in value || "sharedFormula" in value) return `=${cell.formula ?? ""}`;
  if ("richText" in value) return value.richText.map(({ text }) => text).join("");
  if ("text" in value) return String(value.text);
  return "error" in value ? String(value.error) : "";
}
function toSheet(rows) {
  const [columns, ...rest] = rows;
  if (!columns || columns.every((column) => column.trim() === "")) return no("The first row must name the columns.");
  if (columns.length > MOST_COLUMNS)
    return no(`The table has ${columns.length} columns; at most ${MOST_COLUMNS} are read.`);
  if (rest.length === 0) return no("Below the names of the columns there is nothing.");
  if (rest.length > MOST_SHEET_ROWS)
    return no(`The table has more than ${MOST_SHEET_ROWS.toLocaleString("en")} rows; split it.`);
  const cut = (cell) => (cell ?? "").slice(0, MOST_CELL);
  return ok({ columns: columns.map(cut), rows: rest.map((row) => columns.map((_, i) => cut(row[i]))) });
}
function unpackedSize(bytes) {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      let total = 0;
      zip.on("error", reject);
      zip.on("end", () => resolve(total));
      zip.on("entry", (entry) => {
        if (total + entry.uncompressedSize > MOST_UNPACKED) return resolve(null);
        zip.openReadStream(entry, (failure, stream) => {
          if (failure) return reject(failure);
          stream.on("data", (chunk) => {
            total += chunk.length;
            if (total > MOST_UNPACKED) {
              stream.destroy();
              resolve(null);
            }
          });
          stream.on("error", reject);
          stream.on("end", () => zip.readEntry());
        });
      });
      zip.readEntry();
    });
  });
}

// src/work/sheet-child.ts
async function answer(question) {
  if (question.ask === "read") return { is: "read", sheet: await readSheet({ bytes: question.bytes }) };
  const { sheet, fields, room, isPartial } = question;
  const { own, withdrawn, cloths, clothIds, house, usualDue } = room;
  const whole2 = {
    kinds: kindBook(own, withdrawn),
    cloths: new Map(cloths),
    clothIds: new Map(clothIds),
    house,
    usualDue
  };
  return { is: "checked", checked: checkSheet(sheet, fields, whole2, isPartial) };
}
process.once("message", (question) => {
  void answer(question).then((told) => process.send(told, () => process.exit(0)));
});

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
      var ClipperLib3 = {};
      ClipperLib3.version = "6.4.2.2";
      ClipperLib3.use_lines = true;
      ClipperLib3.use_xyz = false;
      var isNode = false;
      if (typeof module !== "undefined" && module.exports) {
        module.exports = ClipperLib3;
        isNode = true;
      } else {
        if (typeof define === "function" && define.amd) {
          define(ClipperLib3);
        }
        if (typeof document !== "undefined") window.ClipperLib = ClipperLib3;
        else self["ClipperLib"] = ClipperLib3;
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
      ClipperLib3.biginteger_used = null;
      var dbits;
      var canary = 244837814094590;
      var j_lm = (canary & 16777215) == 15715070;
      function BigInteger(a, b, c) {
        ClipperLib3.biginteger_used = 1;
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
      ClipperLib3.Path = function() {
        return [];
      };
      ClipperLib3.Path.prototype.push = Array.prototype.push;
      ClipperLib3.Paths = function() {
        return [];
      };
      ClipperLib3.Paths.prototype.push = Array.prototype.push;
      ClipperLib3.DoublePoint = function() {
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
      ClipperLib3.DoublePoint0 = function() {
        this.X = 0;
        this.Y = 0;
      };
      ClipperLib3.DoublePoint0.prototype = ClipperLib3.DoublePoint.prototype;
      ClipperLib3.DoublePoint1 = function(dp) {
        this.X = dp.X;
        this.Y = dp.Y;
      };
      ClipperLib3.DoublePoint1.prototype = ClipperLib3.DoublePoint.prototype;
      ClipperLib3.DoublePoint2 = function(x, y) {
        this.X = x;
        this.Y = y;
      };
      ClipperLib3.DoublePoint2.prototype = ClipperLib3.DoublePoint.prototype;
      ClipperLib3.PolyNode = function() {
        this.m_Parent = null;
        this.m_polygon = new ClipperLib3.Path();
        this.m_Index = 0;
        this.m_jointype = 0;
        this.m_endtype = 0;
        this.m_Childs = [];
        this.IsOpen = false;
      };
      ClipperLib3.PolyNode.prototype.IsHoleNode = function() {
        var result = true;
        var node = this.m_Parent;
        while (node !== null) {
          result = !result;
          node = node.m_Parent;
        }
        return result;
      };
      ClipperLib3.PolyNode.prototype.ChildCount = function() {
        return this.m_Childs.length;
      };
      ClipperLib3.PolyNode.prototype.Contour = function() {
        return this.m_polygon;
      };
      ClipperLib3.PolyNode.prototype.AddChild = function(Child) {
        var cnt = this.m_Childs.length;
        this.m_Childs.push(Child);
        Child.m_Parent = this;
        Child.m_Index = cnt;
      };
      ClipperLib3.PolyNode.prototype.GetNext = function() {
        if (this.m_Childs.length > 0)
          return this.m_Childs[0];
        else
          return this.GetNextSiblingUp();
      };
      ClipperLib3.PolyNode.prototype.GetNextSiblingUp = function() {
        if (this.m_Parent === null)
          return null;
        else if (this.m_Index === this.m_Parent.m_Childs.length - 1)
          return this.m_Parent.GetNextSiblingUp();
        else
          return this.m_Parent.m_Childs[this.m_Index + 1];
      };
      ClipperLib3.PolyNode.prototype.Childs = function() {
        return this.m_Childs;
      };
      ClipperLib3.PolyNode.prototype.Parent = function() {
        return this.m_Parent;
      };
      ClipperLib3.PolyNode.prototype.IsHole = function() {
        return this.IsHoleNode();
      };
      ClipperLib3.PolyTree = function() {
        this.m_AllPolys = [];
        ClipperLib3.PolyNode.call(this);
      };
      ClipperLib3.PolyTree.prototype.Clear = function() {
        for (var i = 0, ilen = this.m_AllPolys.length; i < ilen; i++)
          this.m_AllPolys[i] = null;
        this.m_AllPolys.length = 0;
        this.m_Childs.length = 0;
      };
      ClipperLib3.PolyTree.prototype.GetFirst = function() {
        if (this.m_Childs.length > 0)
          return this.m_Childs[0];
        else
          return null;
      };
      ClipperLib3.PolyTree.prototype.Total = function() {
        var result = this.m_AllPolys.length;
        if (result > 0 && this.m_Childs[0] !== this.m_AllPolys[0]) result--;
        return result;
      };
      Inherit(ClipperLib3.PolyTree, ClipperLib3.PolyNode);
      ClipperLib3.Math_Abs_Int64 = ClipperLib3.Math_Abs_Int32 = ClipperLib3.Math_Abs_Double = function(a) {
        return Math.abs(a);
      };
      ClipperLib3.Math_Max_Int32_Int32 = function(a, b) {
        return Math.max(a, b);
      };
      if (browser.msie || browser.opera || browser.safari) ClipperLib3.Cast_Int32 = function(a) {
        return a | 0;
      };
      else ClipperLib3.Cast_Int32 = function(a) {
        return ~~a;
      };
      if (typeof Number.toInteger === "undefined")
        Number.toInteger = null;
      if (browser.chrome) ClipperLib3.Cast_Int64 = function(a) {
        if (a < -2147483648 || a > 2147483647)
          return a < 0 ? Math.ceil(a) : Math.floor(a);
        else return ~~a;
      };
      else if (browser.firefox && typeof Number.toInteger === "function") ClipperLib3.Cast_Int64 = function(a) {
        return Number.toInteger(a);
      };
      else if (browser.msie7 || browser.msie8) ClipperLib3.Cast_Int64 = function(a) {
        return parseInt(a, 10);
      };
      else if (browser.msie) ClipperLib3.Cast_Int64 = function(a) {
        if (a < -2147483648 || a > 2147483647)
          return a < 0 ? Math.ceil(a) : Math.floor(a);
        return a | 0;
      };
      else ClipperLib3.Cast_Int64 = function(a) {
        return a < 0 ? Math.ceil(a) : Math.floor(a);
      };
      ClipperLib3.Clear = function(a) {
        a.length = 0;
      };
      ClipperLib3.PI = 3.141592653589793;
      ClipperLib3.PI2 = 2 * 3.141592653589793;
      ClipperLib3.IntPoint = function() {
        var a = arguments, alen = a.length;
        this.X = 0;
        this.Y = 0;
        if (ClipperLib3.use_xyz) {
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
            if (a[0] instanceof ClipperLib3.DoublePoint) {
              var dp = a[0];
              this.X = ClipperLib3.Clipper.Round(dp.X);
              this.Y = ClipperLib3.Clipper.Round(dp.Y);
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
            if (a[0] instanceof ClipperLib3.DoublePoint) {
              var dp = a[0];
              this.X = ClipperLib3.Clipper.Round(dp.X);
              this.Y = ClipperLib3.Clipper.Round(dp.Y);
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
      ClipperLib3.IntPoint.op_Equality = function(a, b) {
        return a.X === b.X && a.Y === b.Y;
      };
      ClipperLib3.IntPoint.op_Inequality = function(a, b) {
        return a.X !== b.X || a.Y !== b.Y;
      };
      ClipperLib3.IntPoint0 = function() {
        this.X = 0;
        this.Y = 0;
        if (ClipperLib3.use_xyz)
          this.Z = 0;
      };
      ClipperLib3.IntPoint0.prototype = ClipperLib3.IntPoint.prototype;
      ClipperLib3.IntPoint1 = function(pt) {
        this.X = pt.X;
        this.Y = pt.Y;
        if (ClipperLib3.use_xyz) {
          if (typeof pt.Z === "undefined") this.Z = 0;
          else this.Z = pt.Z;
        }
      };
      ClipperLib3.IntPoint1.prototype = ClipperLib3.IntPoint.prototype;
      ClipperLib3.IntPoint1dp = function(dp) {
        this.X = ClipperLib3.Clipper.Round(dp.X);
        this.Y = ClipperLib3.Clipper.Round(dp.Y);
        if (ClipperLib3.use_xyz)
          this.Z = 0;
      };
      ClipperLib3.IntPoint1dp.prototype = ClipperLib3.IntPoint.prototype;
      ClipperLib3.IntPoint2 = function(x, y, z) {
        this.X = x;
        this.Y = y;
        if (ClipperLib3.use_xyz) {
          if (typeof z === "undefined") this.Z = 0;
          else this.Z = z;
        }
      };
      ClipperLib3.IntPoint2.prototype = ClipperLib3.IntPoint.prototype;
      ClipperLib3.IntRect = function() {
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
      ClipperLib3.IntRect0 = function() {
        this.left = 0;
        this.top = 0;
        this.right = 0;
        this.bottom = 0;
      };
      ClipperLib3.IntRect0.prototype = ClipperLib3.IntRect.prototype;
      ClipperLib3.IntRect1 = function(ir) {
        this.left = ir.left;
        this.top = ir.top;
        this.right = ir.right;
        this.bottom = ir.bottom;
      };
      ClipperLib3.IntRect1.prototype = ClipperLib3.IntRect.prototype;
      ClipperLib3.IntRect4 = function(l, t, r, b) {
        this.left = l;
        this.top = t;
        this.right = r;
        this.bottom = b;
      };
      ClipperLib3.IntRect4.prototype = ClipperLib3.IntRect.prototype;
      ClipperLib3.ClipType = {
        ctIntersection: 0,
        ctUnion: 1,
        ctDifference: 2,
        ctXor: 3
      };
      ClipperLib3.PolyType = {
        ptSubject: 0,
        ptClip: 1
      };
      ClipperLib3.PolyFillType = {
        pftEvenOdd: 0,
        pftNonZero: 1,
        pftPositive: 2,
        pftNegative: 3
      };
      ClipperLib3.JoinType = {
        jtSquare: 0,
        jtRound: 1,
        jtMiter: 2
      };
      ClipperLib3.EndType = {
        etOpenSquare: 0,
        etOpenRound: 1,
        etOpenButt: 2,
        etClosedLine: 3,
        etClosedPolygon: 4
      };
      ClipperLib3.EdgeSide = {
        esLeft: 0,
        esRight: 1
      };
      ClipperLib3.Direction = {
        dRightToLeft: 0,
        dLeftToRight: 1
      };
      ClipperLib3.TEdge = function() {
        this.Bot = new ClipperLib3.IntPoint0();
        this.Curr = new ClipperLib3.IntPoint0();
        this.Top = new ClipperLib3.IntPoint0();
        this.Delta = new ClipperLib3.IntPoint0();
        this.Dx = 0;
        this.PolyTyp = ClipperLib3.PolyType.ptSubject;
        this.Side = ClipperLib3.EdgeSide.esLeft;
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
      ClipperLib3.IntersectNode = function() {
        this.Edge1 = null;
        this.Edge2 = null;
        this.Pt = new ClipperLib3.IntPoint0();
      };
      ClipperLib3.MyIntersectNodeSort = function() {
      };
      ClipperLib3.MyIntersectNodeSort.Compare = function(node1, node2) {
        var i = node2.Pt.Y - node1.Pt.Y;
        if (i > 0) return 1;
        else if (i < 0) return -1;
        else return 0;
      };
      ClipperLib3.LocalMinima = function() {
        this.Y = 0;
        this.LeftBound = null;
        this.RightBound = null;
        this.Next = null;
      };
      ClipperLib3.Scanbeam = function() {
        this.Y = 0;
        this.Next = null;
      };
      ClipperLib3.Maxima = function() {
        this.X = 0;
        this.Next = null;
        this.Prev = null;
      };
      ClipperLib3.OutRec = function() {
        this.Idx = 0;
        this.IsHole = false;
        this.IsOpen = false;
        this.FirstLeft = null;
        this.Pts = null;
        this.BottomPt = null;
        this.PolyNode = null;
      };
      ClipperLib3.OutPt = function() {
        this.Idx = 0;
        this.Pt = new ClipperLib3.IntPoint0();
        this.Next = null;
        this.Prev = null;
      };
      ClipperLib3.Join = function() {
        this.OutPt1 = null;
        this.OutPt2 = null;
        this.OffPt = new ClipperLib3.IntPoint0();
      };
      ClipperLib3.ClipperBase = function() {
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
      ClipperLib3.ClipperBase.horizontal = -9007199254740992;
      ClipperLib3.ClipperBase.Skip = -2;
      ClipperLib3.ClipperBase.Unassigned = -1;
      ClipperLib3.ClipperBase.tolerance = 1e-20;
      ClipperLib3.ClipperBase.loRange = 47453132;
      ClipperLib3.ClipperBase.hiRange = 4503599627370495;
      ClipperLib3.ClipperBase.near_zero = function(val) {
        return val > -ClipperLib3.ClipperBase.tolerance && val < ClipperLib3.ClipperBase.tolerance;
      };
      ClipperLib3.ClipperBase.IsHorizontal = function(e) {
        return e.Delta.Y === 0;
      };
      ClipperLib3.ClipperBase.prototype.PointIsVertex = function(pt, pp) {
        var pp2 = pp;
        do {
          if (ClipperLib3.IntPoint.op_Equality(pp2.Pt, pt))
            return true;
          pp2 = pp2.Next;
        } while (pp2 !== pp);
        return false;
      };
      ClipperLib3.ClipperBase.prototype.PointOnLineSegment = function(pt, linePt1, linePt2, UseFullRange) {
        if (UseFullRange)
          return pt.X === linePt1.X && pt.Y === linePt1.Y || pt.X === linePt2.X && pt.Y === linePt2.Y || pt.X > linePt1.X === pt.X < linePt2.X && pt.Y > linePt1.Y === pt.Y < linePt2.Y && Int128.op_Equality(
            Int128.Int128Mul(pt.X - linePt1.X, linePt2.Y - linePt1.Y),
            Int128.Int128Mul(linePt2.X - linePt1.X, pt.Y - linePt1.Y)
          );
        else
          return pt.X === linePt1.X && pt.Y === linePt1.Y || pt.X === linePt2.X && pt.Y === linePt2.Y || pt.X > linePt1.X === pt.X < linePt2.X && pt.Y > linePt1.Y === pt.Y < linePt2.Y && (pt.X - linePt1.X) * (linePt2.Y - linePt1.Y) === (linePt2.X - linePt1.X) * (pt.Y - linePt1.Y);
      };
      ClipperLib3.ClipperBase.prototype.PointOnPolygon = function(pt, pp, UseFullRange) {
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
      ClipperLib3.ClipperBase.prototype.SlopesEqual = ClipperLib3.ClipperBase.SlopesEqual = function() {
        var a = arguments, alen = a.length;
        var e1, e2, pt1, pt2, pt3, pt4, UseFullRange;
        if (alen === 3) {
          e1 = a[0];
          e2 = a[1];
          UseFullRange = a[2];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(e1.Delta.Y, e2.Delta.X), Int128.Int128Mul(e1.Delta.X, e2.Delta.Y));
          else
            return ClipperLib3.Cast_Int64(e1.Delta.Y * e2.Delta.X) === ClipperLib3.Cast_Int64(e1.Delta.X * e2.Delta.Y);
        } else if (alen === 4) {
          pt1 = a[0];
          pt2 = a[1];
          pt3 = a[2];
          UseFullRange = a[3];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt2.X - pt3.X), Int128.Int128Mul(pt1.X - pt2.X, pt2.Y - pt3.Y));
          else
            return ClipperLib3.Cast_Int64((pt1.Y - pt2.Y) * (pt2.X - pt3.X)) - ClipperLib3.Cast_Int64((pt1.X - pt2.X) * (pt2.Y - pt3.Y)) === 0;
        } else {
          pt1 = a[0];
          pt2 = a[1];
          pt3 = a[2];
          pt4 = a[3];
          UseFullRange = a[4];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt3.X - pt4.X), Int128.Int128Mul(pt1.X - pt2.X, pt3.Y - pt4.Y));
          else
            return ClipperLib3.Cast_Int64((pt1.Y - pt2.Y) * (pt3.X - pt4.X)) - ClipperLib3.Cast_Int64((pt1.X - pt2.X) * (pt3.Y - pt4.Y)) === 0;
        }
      };
      ClipperLib3.ClipperBase.SlopesEqual3 = function(e1, e2, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(e1.Delta.Y, e2.Delta.X), Int128.Int128Mul(e1.Delta.X, e2.Delta.Y));
        else
          return ClipperLib3.Cast_Int64(e1.Delta.Y * e2.Delta.X) === ClipperLib3.Cast_Int64(e1.Delta.X * e2.Delta.Y);
      };
      ClipperLib3.ClipperBase.SlopesEqual4 = function(pt1, pt2, pt3, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt2.X - pt3.X), Int128.Int128Mul(pt1.X - pt2.X, pt2.Y - pt3.Y));
        else
          return ClipperLib3.Cast_Int64((pt1.Y - pt2.Y) * (pt2.X - pt3.X)) - ClipperLib3.Cast_Int64((pt1.X - pt2.X) * (pt2.Y - pt3.Y)) === 0;
      };
      ClipperLib3.ClipperBase.SlopesEqual5 = function(pt1, pt2, pt3, pt4, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt3.X - pt4.X), Int128.Int128Mul(pt1.X - pt2.X, pt3.Y - pt4.Y));
        else
          return ClipperLib3.Cast_Int64((pt1.Y - pt2.Y) * (pt3.X - pt4.X)) - ClipperLib3.Cast_Int64((pt1.X - pt2.X) * (pt3.Y - pt4.Y)) === 0;
      };
      ClipperLib3.ClipperBase.prototype.Clear = function() {
        this.DisposeLocalMinimaList();
        for (var i = 0, ilen = this.m_edges.length; i < ilen; ++i) {
          for (var j = 0, jlen = this.m_edges[i].length; j < jlen; ++j)
            this.m_edges[i][j] = null;
          ClipperLib3.Clear(this.m_edges[i]);
        }
        ClipperLib3.Clear(this.m_edges);
        this.m_UseFullRange = false;
        this.m_HasOpenPaths = false;
      };
      ClipperLib3.ClipperBase.prototype.DisposeLocalMinimaList = function() {
        while (this.m_MinimaList !== null) {
          var tmpLm = this.m_MinimaList.Next;
          this.m_MinimaList = null;
          this.m_MinimaList = tmpLm;
        }
        this.m_CurrentLM = null;
      };
      ClipperLib3.ClipperBase.prototype.RangeTest = function(Pt, useFullRange) {
        if (useFullRange.Value) {
          if (Pt.X > ClipperLib3.ClipperBase.hiRange || Pt.Y > ClipperLib3.ClipperBase.hiRange || -Pt.X > ClipperLib3.ClipperBase.hiRange || -Pt.Y > ClipperLib3.ClipperBase.hiRange)
            ClipperLib3.Error("Coordinate outside allowed range in RangeTest().");
        } else if (Pt.X > ClipperLib3.ClipperBase.loRange || Pt.Y > ClipperLib3.ClipperBase.loRange || -Pt.X > ClipperLib3.ClipperBase.loRange || -Pt.Y > ClipperLib3.ClipperBase.loRange) {
          useFullRange.Value = true;
          this.RangeTest(Pt, useFullRange);
        }
      };
      ClipperLib3.ClipperBase.prototype.InitEdge = function(e, eNext, ePrev, pt) {
        e.Next = eNext;
        e.Prev = ePrev;
        e.Curr.X = pt.X;
        e.Curr.Y = pt.Y;
        if (ClipperLib3.use_xyz) e.Curr.Z = pt.Z;
        e.OutIdx = -1;
      };
      ClipperLib3.ClipperBase.prototype.InitEdge2 = function(e, polyType) {
        if (e.Curr.Y >= e.Next.Curr.Y) {
          e.Bot.X = e.Curr.X;
          e.Bot.Y = e.Curr.Y;
          if (ClipperLib3.use_xyz) e.Bot.Z = e.Curr.Z;
          e.Top.X = e.Next.Curr.X;
          e.Top.Y = e.Next.Curr.Y;
          if (ClipperLib3.use_xyz) e.Top.Z = e.Next.Curr.Z;
        } else {
          e.Top.X = e.Curr.X;
          e.Top.Y = e.Curr.Y;
          if (ClipperLib3.use_xyz) e.Top.Z = e.Curr.Z;
          e.Bot.X = e.Next.Curr.X;
          e.Bot.Y = e.Next.Curr.Y;
          if (ClipperLib3.use_xyz) e.Bot.Z = e.Next.Curr.Z;
        }
        this.SetDx(e);
        e.PolyTyp = polyType;
      };
      ClipperLib3.ClipperBase.prototype.FindNextLocMin = function(E) {
        var E2;
        for (; ; ) {
          while (ClipperLib3.IntPoint.op_Inequality(E.Bot, E.Prev.Bot) || ClipperLib3.IntPoint.op_Equality(E.Curr, E.Top))
            E = E.Next;
          if (E.Dx !== ClipperLib3.ClipperBase.horizontal && E.Prev.Dx !== ClipperLib3.ClipperBase.horizontal)
            break;
          while (E.Prev.Dx === ClipperLib3.ClipperBase.horizontal)
            E = E.Prev;
          E2 = E;
          while (E.Dx === ClipperLib3.ClipperBase.horizontal)
            E = E.Next;
          if (E.Top.Y === E.Prev.Bot.Y)
            continue;
          if (E2.Prev.Bot.X < E.Bot.X)
            E = E2;
          break;
        }
        return E;
      };
      ClipperLib3.ClipperBase.prototype.ProcessBound = function(E, LeftBoundIsForward) {
        var EStart;
        var Result = E;
        var Horz;
        if (Result.OutIdx === ClipperLib3.ClipperBase.Skip) {
          E = Result;
          if (LeftBoundIsForward) {
            while (E.Top.Y === E.Next.Bot.Y) E = E.Next;
            while (E !== Result && E.Dx === ClipperLib3.ClipperBase.horizontal) E = E.Prev;
          } else {
            while (E.Top.Y === E.Prev.Bot.Y) E = E.Prev;
            while (E !== Result && E.Dx === ClipperLib3.ClipperBase.horizontal) E = E.Next;
          }
          if (E === Result) {
            if (LeftBoundIsForward) Result = E.Next;
            else Result = E.Prev;
          } else {
            if (LeftBoundIsForward)
              E = Result.Next;
            else
              E = Result.Prev;
            var locMin = new ClipperLib3.LocalMinima();
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
        if (E.Dx === ClipperLib3.ClipperBase.horizontal) {
          if (LeftBoundIsForward) EStart = E.Prev;
          else EStart = E.Next;
          if (EStart.Dx === ClipperLib3.ClipperBase.horizontal) {
            if (EStart.Bot.X !== E.Bot.X && EStart.Top.X !== E.Bot.X)
              this.ReverseHorizontal(E);
          } else if (EStart.Bot.X !== E.Bot.X)
            this.ReverseHorizontal(E);
        }
        EStart = E;
        if (LeftBoundIsForward) {
          while (Result.Top.Y === Result.Next.Bot.Y && Result.Next.OutIdx !== ClipperLib3.ClipperBase.Skip)
            Result = Result.Next;
          if (Result.Dx === ClipperLib3.ClipperBase.horizontal && Result.Next.OutIdx !== ClipperLib3.ClipperBase.Skip) {
            Horz = Result;
            while (Horz.Prev.Dx === ClipperLib3.ClipperBase.horizontal)
              Horz = Horz.Prev;
            if (Horz.Prev.Top.X > Result.Next.Top.X)
              Result = Horz.Prev;
          }
          while (E !== Result) {
            E.NextInLML = E.Next;
            if (E.Dx === ClipperLib3.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Prev.Top.X)
              this.ReverseHorizontal(E);
            E = E.Next;
          }
          if (E.Dx === ClipperLib3.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Prev.Top.X)
            this.ReverseHorizontal(E);
          Result = Result.Next;
        } else {
          while (Result.Top.Y === Result.Prev.Bot.Y && Result.Prev.OutIdx !== ClipperLib3.ClipperBase.Skip)
            Result = Result.Prev;
          if (Result.Dx === ClipperLib3.ClipperBase.horizontal && Result.Prev.OutIdx !== ClipperLib3.ClipperBase.Skip) {
            Horz = Result;
            while (Horz.Next.Dx === ClipperLib3.ClipperBase.horizontal)
              Horz = Horz.Next;
            if (Horz.Next.Top.X === Result.Prev.Top.X || Horz.Next.Top.X > Result.Prev.Top.X) {
              Result = Horz.Next;
            }
          }
          while (E !== Result) {
            E.NextInLML = E.Prev;
            if (E.Dx === ClipperLib3.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Next.Top.X)
              this.ReverseHorizontal(E);
            E = E.Prev;
          }
          if (E.Dx === ClipperLib3.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Next.Top.X)
            this.ReverseHorizontal(E);
          Result = Result.Prev;
        }
        return Result;
      };
      ClipperLib3.ClipperBase.prototype.AddPath = function(pg, polyType, Closed) {
        if (ClipperLib3.use_lines) {
          if (!Closed && polyType === ClipperLib3.PolyType.ptClip)
            ClipperLib3.Error("AddPath: Open paths must be subject.");
        } else {
          if (!Closed)
            ClipperLib3.Error("AddPath: Open paths have been disabled.");
        }
        var highI = pg.length - 1;
        if (Closed)
          while (highI > 0 && ClipperLib3.IntPoint.op_Equality(pg[highI], pg[0]))
            --highI;
        while (highI > 0 && ClipperLib3.IntPoint.op_Equality(pg[highI], pg[highI - 1]))
          --highI;
        if (Closed && highI < 2 || !Closed && highI < 1)
          return false;
        var edges = new Array();
        for (var i = 0; i <= highI; i++)
          edges.push(new ClipperLib3.TEdge());
        var IsFlat = true;
        edges[1].Curr.X = pg[1].X;
        edges[1].Curr.Y = pg[1].Y;
        if (ClipperLib3.use_xyz) edges[1].Curr.Z = pg[1].Z;
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
          else if (Closed && ClipperLib3.ClipperBase.SlopesEqual4(E.Prev.Curr, E.Curr, E.Next.Curr, this.m_UseFullRange) && (!this.PreserveCollinear || !this.Pt2IsBetweenPt1AndPt3(E.Prev.Curr, E.Curr, E.Next.Curr))) {
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
          eStart.Prev.OutIdx = ClipperLib3.ClipperBase.Skip;
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
          E.Prev.OutIdx = ClipperLib3.ClipperBase.Skip;
          var locMin = new ClipperLib3.LocalMinima();
          locMin.Next = null;
          locMin.Y = E.Bot.Y;
          locMin.LeftBound = null;
          locMin.RightBound = E;
          locMin.RightBound.Side = ClipperLib3.EdgeSide.esRight;
          locMin.RightBound.WindDelta = 0;
          for (; ; ) {
            if (E.Bot.X !== E.Prev.Top.X) this.ReverseHorizontal(E);
            if (E.Next.OutIdx === ClipperLib3.ClipperBase.Skip) break;
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
        if (ClipperLib3.IntPoint.op_Equality(E.Prev.Bot, E.Prev.Top))
          E = E.Next;
        for (; ; ) {
          E = this.FindNextLocMin(E);
          if (E === EMin)
            break;
          else if (EMin === null)
            EMin = E;
          var locMin = new ClipperLib3.LocalMinima();
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
          locMin.LeftBound.Side = ClipperLib3.EdgeSide.esLeft;
          locMin.RightBound.Side = ClipperLib3.EdgeSide.esRight;
          if (!Closed)
            locMin.LeftBound.WindDelta = 0;
          else if (locMin.LeftBound.Next === locMin.RightBound)
            locMin.LeftBound.WindDelta = -1;
          else
            locMin.LeftBound.WindDelta = 1;
          locMin.RightBound.WindDelta = -locMin.LeftBound.WindDelta;
          E = this.ProcessBound(locMin.LeftBound, leftBoundIsForward);
          if (E.OutIdx === ClipperLib3.ClipperBase.Skip)
            E = this.ProcessBound(E, leftBoundIsForward);
          var E2 = this.ProcessBound(locMin.RightBound, !leftBoundIsForward);
          if (E2.OutIdx === ClipperLib3.ClipperBase.Skip) E2 = this.ProcessBound(E2, !leftBoundIsForward);
          if (locMin.LeftBound.OutIdx === ClipperLib3.ClipperBase.Skip)
            locMin.LeftBound = null;
          else if (locMin.RightBound.OutIdx === ClipperLib3.ClipperBase.Skip)
            locMin.RightBound = null;
          this.InsertLocalMinima(locMin);
          if (!leftBoundIsForward)
            E = E2;
        }
        return true;
      };
      ClipperLib3.ClipperBase.prototype.AddPaths = function(ppg, polyType, closed) {
        var result = false;
        for (var i = 0, ilen = ppg.length; i < ilen; ++i)
          if (this.AddPath(ppg[i], polyType, closed))
            result = true;
        return result;
      };
      ClipperLib3.ClipperBase.prototype.Pt2IsBetweenPt1AndPt3 = function(pt1, pt2, pt3) {
        if (ClipperLib3.IntPoint.op_Equality(pt1, pt3) || ClipperLib3.IntPoint.op_Equality(pt1, pt2) || ClipperLib3.IntPoint.op_Equality(pt3, pt2))
          return false;
        else if (pt1.X !== pt3.X)
          return pt2.X > pt1.X === pt2.X < pt3.X;
        else
          return pt2.Y > pt1.Y === pt2.Y < pt3.Y;
      };
      ClipperLib3.ClipperBase.prototype.RemoveEdge = function(e) {
        e.Prev.Next = e.Next;
        e.Next.Prev = e.Prev;
        var result = e.Next;
        e.Prev = null;
        return result;
      };
      ClipperLib3.ClipperBase.prototype.SetDx = function(e) {
        e.Delta.X = e.Top.X - e.Bot.X;
        e.Delta.Y = e.Top.Y - e.Bot.Y;
        if (e.Delta.Y === 0) e.Dx = ClipperLib3.ClipperBase.horizontal;
        else e.Dx = e.Delta.X / e.Delta.Y;
      };
      ClipperLib3.ClipperBase.prototype.InsertLocalMinima = function(newLm) {
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
      ClipperLib3.ClipperBase.prototype.PopLocalMinima = function(Y, current) {
        current.v = this.m_CurrentLM;
        if (this.m_CurrentLM !== null && this.m_CurrentLM.Y === Y) {
          this.m_CurrentLM = this.m_CurrentLM.Next;
          return true;
        }
        return false;
      };
      ClipperLib3.ClipperBase.prototype.ReverseHorizontal = function(e) {
        var tmp = e.Top.X;
        e.Top.X = e.Bot.X;
        e.Bot.X = tmp;
        if (ClipperLib3.use_xyz) {
          tmp = e.Top.Z;
          e.Top.Z = e.Bot.Z;
          e.Bot.Z = tmp;
        }
      };
      ClipperLib3.ClipperBase.prototype.Reset = function() {
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
            if (ClipperLib3.use_xyz) e.Curr.Z = e.Bot.Z;
            e.OutIdx = ClipperLib3.ClipperBase.Unassigned;
          }
          e = lm.RightBound;
          if (e !== null) {
            e.Curr.X = e.Bot.X;
            e.Curr.Y = e.Bot.Y;
            if (ClipperLib3.use_xyz) e.Curr.Z = e.Bot.Z;
            e.OutIdx = ClipperLib3.ClipperBase.Unassigned;
          }
          lm = lm.Next;
        }
        this.m_ActiveEdges = null;
      };
      ClipperLib3.ClipperBase.prototype.InsertScanbeam = function(Y) {
        if (this.m_Scanbeam === null) {
          this.m_Scanbeam = new ClipperLib3.Scanbeam();
          this.m_Scanbeam.Next = null;
          this.m_Scanbeam.Y = Y;
        } else if (Y > this.m_Scanbeam.Y) {
          var newSb = new ClipperLib3.Scanbeam();
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
          var newSb1 = new ClipperLib3.Scanbeam();
          newSb1.Y = Y;
          newSb1.Next = sb2.Next;
          sb2.Next = newSb1;
        }
      };
      ClipperLib3.ClipperBase.prototype.PopScanbeam = function(Y) {
        if (this.m_Scanbeam === null) {
          Y.v = 0;
          return false;
        }
        Y.v = this.m_Scanbeam.Y;
        this.m_Scanbeam = this.m_Scanbeam.Next;
        return true;
      };
      ClipperLib3.ClipperBase.prototype.LocalMinimaPending = function() {
        return this.m_CurrentLM !== null;
      };
      ClipperLib3.ClipperBase.prototype.CreateOutRec = function() {
        var result = new ClipperLib3.OutRec();
        result.Idx = ClipperLib3.ClipperBase.Unassigned;
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
      ClipperLib3.ClipperBase.prototype.DisposeOutRec = function(index) {
        var outRec = this.m_PolyOuts[index];
        outRec.Pts = null;
        outRec = null;
        this.m_PolyOuts[index] = null;
      };
      ClipperLib3.ClipperBase.prototype.UpdateEdgeIntoAEL = function(e) {
        if (e.NextInLML === null) {
          ClipperLib3.Error("UpdateEdgeIntoAEL: invalid call");
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
        if (!ClipperLib3.ClipperBase.IsHorizontal(e)) {
          this.InsertScanbeam(e.Top.Y);
        }
        return e;
      };
      ClipperLib3.ClipperBase.prototype.SwapPositionsInAEL = function(edge1, edge2) {
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
      ClipperLib3.ClipperBase.prototype.DeleteFromAEL = function(e) {
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
      ClipperLib3.Clipper = function(InitOptions) {
        if (typeof InitOptions === "undefined") InitOptions = 0;
        this.m_PolyOuts = null;
        this.m_ClipType = ClipperLib3.ClipType.ctIntersection;
        this.m_Scanbeam = null;
        this.m_Maxima = null;
        this.m_ActiveEdges = null;
        this.m_SortedEdges = null;
        this.m_IntersectList = null;
        this.m_IntersectNodeComparer = null;
        this.m_ExecuteLocked = false;
        this.m_ClipFillType = ClipperLib3.PolyFillType.pftEvenOdd;
        this.m_SubjFillType = ClipperLib3.PolyFillType.pftEvenOdd;
        this.m_Joins = null;
        this.m_GhostJoins = null;
        this.m_UsingPolyTree = false;
        this.ReverseSolution = false;
        this.StrictlySimple = false;
        ClipperLib3.ClipperBase.call(this);
        this.m_Scanbeam = null;
        this.m_Maxima = null;
        this.m_ActiveEdges = null;
        this.m_SortedEdges = null;
        this.m_IntersectList = new Array();
        this.m_IntersectNodeComparer = ClipperLib3.MyIntersectNodeSort.Compare;
        this.m_ExecuteLocked = false;
        this.m_UsingPolyTree = false;
        this.m_PolyOuts = new Array();
        this.m_Joins = new Array();
        this.m_GhostJoins = new Array();
        this.ReverseSolution = (1 & InitOptions) !== 0;
        this.StrictlySimple = (2 & InitOptions) !== 0;
        this.PreserveCollinear = (4 & InitOptions) !== 0;
        if (ClipperLib3.use_xyz) {
          this.ZFillFunction = null;
        }
      };
      ClipperLib3.Clipper.ioReverseSolution = 1;
      ClipperLib3.Clipper.ioStrictlySimple = 2;
      ClipperLib3.Clipper.ioPreserveCollinear = 4;
      ClipperLib3.Clipper.prototype.Clear = function() {
        if (this.m_edges.length === 0)
          return;
        this.DisposeAllPolyPts();
        ClipperLib3.ClipperBase.prototype.Clear.call(this);
      };
      ClipperLib3.Clipper.prototype.InsertMaxima = function(X) {
        var newMax = new ClipperLib3.Maxima();
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
      ClipperLib3.Clipper.prototype.Execute = function() {
        var a = arguments, alen = a.length, ispolytree = a[1] instanceof ClipperLib3.PolyTree;
        if (alen === 4 && !ispolytree) {
          var clipType = a[0], solution = a[1], subjFillType = a[2], clipFillType = a[3];
          if (this.m_ExecuteLocked)
            return false;
          if (this.m_HasOpenPaths)
            ClipperLib3.Error("Error: PolyTree struct is needed for open path clipping.");
          this.m_ExecuteLocked = true;
          ClipperLib3.Clear(solution);
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
          return this.Execute(clipType, solution, ClipperLib3.PolyFillType.pftEvenOdd, ClipperLib3.PolyFillType.pftEvenOdd);
        } else if (alen === 2 && ispolytree) {
          var clipType = a[0], polytree = a[1];
          return this.Execute(clipType, polytree, ClipperLib3.PolyFillType.pftEvenOdd, ClipperLib3.PolyFillType.pftEvenOdd);
        }
      };
      ClipperLib3.Clipper.prototype.FixHoleLinkage = function(outRec) {
        if (outRec.FirstLeft === null || outRec.IsHole !== outRec.FirstLeft.IsHole && outRec.FirstLeft.Pts !== null)
          return;
        var orfl = outRec.FirstLeft;
        while (orfl !== null && (orfl.IsHole === outRec.IsHole || orfl.Pts === null))
          orfl = orfl.FirstLeft;
        outRec.FirstLeft = orfl;
      };
      ClipperLib3.Clipper.prototype.ExecuteInternal = function() {
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
      ClipperLib3.Clipper.prototype.DisposeAllPolyPts = function() {
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; ++i)
          this.DisposeOutRec(i);
        ClipperLib3.Clear(this.m_PolyOuts);
      };
      ClipperLib3.Clipper.prototype.AddJoin = function(Op1, Op2, OffPt) {
        var j = new ClipperLib3.Join();
        j.OutPt1 = Op1;
        j.OutPt2 = Op2;
        j.OffPt.X = OffPt.X;
        j.OffPt.Y = OffPt.Y;
        if (ClipperLib3.use_xyz) j.OffPt.Z = OffPt.Z;
        this.m_Joins.push(j);
      };
      ClipperLib3.Clipper.prototype.AddGhostJoin = function(Op, OffPt) {
        var j = new ClipperLib3.Join();
        j.OutPt1 = Op;
        j.OffPt.X = OffPt.X;
        j.OffPt.Y = OffPt.Y;
        if (ClipperLib3.use_xyz) j.OffPt.Z = OffPt.Z;
        this.m_GhostJoins.push(j);
      };
      ClipperLib3.Clipper.prototype.SetZ = function(pt, e1, e2) {
        if (this.ZFillFunction !== null) {
          if (pt.Z !== 0 || this.ZFillFunction === null) return;
          else if (ClipperLib3.IntPoint.op_Equality(pt, e1.Bot)) pt.Z = e1.Bot.Z;
          else if (ClipperLib3.IntPoint.op_Equality(pt, e1.Top)) pt.Z = e1.Top.Z;
          else if (ClipperLib3.IntPoint.op_Equality(pt, e2.Bot)) pt.Z = e2.Bot.Z;
          else if (ClipperLib3.IntPoint.op_Equality(pt, e2.Top)) pt.Z = e2.Top.Z;
          else this.ZFillFunction(e1.Bot, e1.Top, e2.Bot, e2.Top, pt);
        }
      };
      ClipperLib3.Clipper.prototype.InsertLocalMinimaIntoAEL = function(botY) {
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
            if (ClipperLib3.ClipperBase.IsHorizontal(rb)) {
              if (rb.NextInLML !== null) {
                this.InsertScanbeam(rb.NextInLML.Top.Y);
              }
              this.AddEdgeToSEL(rb);
            } else {
              this.InsertScanbeam(rb.Top.Y);
            }
          }
          if (lb === null || rb === null) continue;
          if (Op1 !== null && ClipperLib3.ClipperBase.IsHorizontal(rb) && this.m_GhostJoins.length > 0 && rb.WindDelta !== 0) {
            for (var i = 0, ilen = this.m_GhostJoins.length; i < ilen; i++) {
              var j = this.m_GhostJoins[i];
              if (this.HorzSegmentsOverlap(j.OutPt1.Pt.X, j.OffPt.X, rb.Bot.X, rb.Top.X))
                this.AddJoin(j.OutPt1, Op1, j.OffPt);
            }
          }
          if (lb.OutIdx >= 0 && lb.PrevInAEL !== null && lb.PrevInAEL.Curr.X === lb.Bot.X && lb.PrevInAEL.OutIdx >= 0 && ClipperLib3.ClipperBase.SlopesEqual5(lb.PrevInAEL.Curr, lb.PrevInAEL.Top, lb.Curr, lb.Top, this.m_UseFullRange) && lb.WindDelta !== 0 && lb.PrevInAEL.WindDelta !== 0) {
            var Op2 = this.AddOutPt(lb.PrevInAEL, lb.Bot);
            this.AddJoin(Op1, Op2, lb.Top);
          }
          if (lb.NextInAEL !== rb) {
            if (rb.OutIdx >= 0 && rb.PrevInAEL.OutIdx >= 0 && ClipperLib3.ClipperBase.SlopesEqual5(rb.PrevInAEL.Curr, rb.PrevInAEL.Top, rb.Curr, rb.Top, this.m_UseFullRange) && rb.WindDelta !== 0 && rb.PrevInAEL.WindDelta !== 0) {
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
      ClipperLib3.Clipper.prototype.InsertEdgeIntoAEL = function(edge, startEdge) {
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
      ClipperLib3.Clipper.prototype.E2InsertsBeforeE1 = function(e1, e2) {
        if (e2.Curr.X === e1.Curr.X) {
          if (e2.Top.Y > e1.Top.Y)
            return e2.Top.X < ClipperLib3.Clipper.TopX(e1, e2.Top.Y);
          else
            return e1.Top.X > ClipperLib3.Clipper.TopX(e2, e1.Top.Y);
        } else
          return e2.Curr.X < e1.Curr.X;
      };
      ClipperLib3.Clipper.prototype.IsEvenOddFillType = function(edge) {
        if (edge.PolyTyp === ClipperLib3.PolyType.ptSubject)
          return this.m_SubjFillType === ClipperLib3.PolyFillType.pftEvenOdd;
        else
          return this.m_ClipFillType === ClipperLib3.PolyFillType.pftEvenOdd;
      };
      ClipperLib3.Clipper.prototype.IsEvenOddAltFillType = function(edge) {
        if (edge.PolyTyp === ClipperLib3.PolyType.ptSubject)
          return this.m_ClipFillType === ClipperLib3.PolyFillType.pftEvenOdd;
        else
          return this.m_SubjFillType === ClipperLib3.PolyFillType.pftEvenOdd;
      };
      ClipperLib3.Clipper.prototype.IsContributing = function(edge) {
        var pft, pft2;
        if (edge.PolyTyp === ClipperLib3.PolyType.ptSubject) {
          pft = this.m_SubjFillType;
          pft2 = this.m_ClipFillType;
        } else {
          pft = this.m_ClipFillType;
          pft2 = this.m_SubjFillType;
        }
        switch (pft) {
          case ClipperLib3.PolyFillType.pftEvenOdd:
            if (edge.WindDelta === 0 && edge.WindCnt !== 1)
              return false;
            break;
          case ClipperLib3.PolyFillType.pftNonZero:
            if (Math.abs(edge.WindCnt) !== 1)
              return false;
            break;
          case ClipperLib3.PolyFillType.pftPositive:
            if (edge.WindCnt !== 1)
              return false;
            break;
          default:
            if (edge.WindCnt !== -1)
              return false;
            break;
        }
        switch (this.m_ClipType) {
          case ClipperLib3.ClipType.ctIntersection:
            switch (pft2) {
              case ClipperLib3.PolyFillType.pftEvenOdd:
              case ClipperLib3.PolyFillType.pftNonZero:
                return edge.WindCnt2 !== 0;
              case ClipperLib3.PolyFillType.pftPositive:
                return edge.WindCnt2 > 0;
              default:
                return edge.WindCnt2 < 0;
            }
          case ClipperLib3.ClipType.ctUnion:
            switch (pft2) {
              case ClipperLib3.PolyFillType.pftEvenOdd:
              case ClipperLib3.PolyFillType.pftNonZero:
                return edge.WindCnt2 === 0;
              case ClipperLib3.PolyFillType.pftPositive:
                return edge.WindCnt2 <= 0;
              default:
                return edge.WindCnt2 >= 0;
            }
          case ClipperLib3.ClipType.ctDifference:
            if (edge.PolyTyp === ClipperLib3.PolyType.ptSubject)
              switch (pft2) {
                case ClipperLib3.PolyFillType.pftEvenOdd:
                case ClipperLib3.PolyFillType.pftNonZero:
                  return edge.WindCnt2 === 0;
                case ClipperLib3.PolyFillType.pftPositive:
                  return edge.WindCnt2 <= 0;
                default:
                  return edge.WindCnt2 >= 0;
              }
            else
              switch (pft2) {
                case ClipperLib3.PolyFillType.pftEvenOdd:
                case ClipperLib3.PolyFillType.pftNonZero:
                  return edge.WindCnt2 !== 0;
                case ClipperLib3.PolyFillType.pftPositive:
                  return edge.WindCnt2 > 0;
                default:
                  return edge.WindCnt2 < 0;
              }
          case ClipperLib3.ClipType.ctXor:
            if (edge.WindDelta === 0)
              switch (pft2) {
                case ClipperLib3.PolyFillType.pftEvenOdd:
                case ClipperLib3.PolyFillType.pftNonZero:
                  return edge.WindCnt2 === 0;
                case ClipperLib3.PolyFillType.pftPositive:
                  return edge.WindCnt2 <= 0;
                default:
                  return edge.WindCnt2 >= 0;
              }
            else
              return true;
        }
        return true;
      };
      ClipperLib3.Clipper.prototype.SetWindingCount = function(edge) {
        var e = edge.PrevInAEL;
        while (e !== null && (e.PolyTyp !== edge.PolyTyp || e.WindDelta === 0))
          e = e.PrevInAEL;
        if (e === null) {
          var pft = edge.PolyTyp === ClipperLib3.PolyType.ptSubject ? this.m_SubjFillType : this.m_ClipFillType;
          if (edge.WindDelta === 0) {
            edge.WindCnt = pft === ClipperLib3.PolyFillType.pftNegative ? -1 : 1;
          } else {
            edge.WindCnt = edge.WindDelta;
          }
          edge.WindCnt2 = 0;
          e = this.m_ActiveEdges;
        } else if (edge.WindDelta === 0 && this.m_ClipType !== ClipperLib3.ClipType.ctUnion) {
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
      ClipperLib3.Clipper.prototype.AddEdgeToSEL = function(edge) {
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
      ClipperLib3.Clipper.prototype.PopEdgeFromSEL = function(e) {
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
      ClipperLib3.Clipper.prototype.CopyAELToSEL = function() {
        var e = this.m_ActiveEdges;
        this.m_SortedEdges = e;
        while (e !== null) {
          e.PrevInSEL = e.PrevInAEL;
          e.NextInSEL = e.NextInAEL;
          e = e.NextInAEL;
        }
      };
      ClipperLib3.Clipper.prototype.SwapPositionsInSEL = function(edge1, edge2) {
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
      ClipperLib3.Clipper.prototype.AddLocalMaxPoly = function(e1, e2, pt) {
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
      ClipperLib3.Clipper.prototype.AddLocalMinPoly = function(e1, e2, pt) {
        var result;
        var e, prevE;
        if (ClipperLib3.ClipperBase.IsHorizontal(e2) || e1.Dx > e2.Dx) {
          result = this.AddOutPt(e1, pt);
          e2.OutIdx = e1.OutIdx;
          e1.Side = ClipperLib3.EdgeSide.esLeft;
          e2.Side = ClipperLib3.EdgeSide.esRight;
          e = e1;
          if (e.PrevInAEL === e2)
            prevE = e2.PrevInAEL;
          else
            prevE = e.PrevInAEL;
        } else {
          result = this.AddOutPt(e2, pt);
          e1.OutIdx = e2.OutIdx;
          e1.Side = ClipperLib3.EdgeSide.esRight;
          e2.Side = ClipperLib3.EdgeSide.esLeft;
          e = e2;
          if (e.PrevInAEL === e1)
            prevE = e1.PrevInAEL;
          else
            prevE = e.PrevInAEL;
        }
        if (prevE !== null && prevE.OutIdx >= 0 && prevE.Top.Y < pt.Y && e.Top.Y < pt.Y) {
          var xPrev = ClipperLib3.Clipper.TopX(prevE, pt.Y);
          var xE = ClipperLib3.Clipper.TopX(e, pt.Y);
          if (xPrev === xE && e.WindDelta !== 0 && prevE.WindDelta !== 0 && ClipperLib3.ClipperBase.SlopesEqual5(new ClipperLib3.IntPoint2(xPrev, pt.Y), prevE.Top, new ClipperLib3.IntPoint2(xE, pt.Y), e.Top, this.m_UseFullRange)) {
            var outPt = this.AddOutPt(prevE, pt);
            this.AddJoin(result, outPt, e.Top);
          }
        }
        return result;
      };
      ClipperLib3.Clipper.prototype.AddOutPt = function(e, pt) {
        if (e.OutIdx < 0) {
          var outRec = this.CreateOutRec();
          outRec.IsOpen = e.WindDelta === 0;
          var newOp = new ClipperLib3.OutPt();
          outRec.Pts = newOp;
          newOp.Idx = outRec.Idx;
          newOp.Pt.X = pt.X;
          newOp.Pt.Y = pt.Y;
          if (ClipperLib3.use_xyz) newOp.Pt.Z = pt.Z;
          newOp.Next = newOp;
          newOp.Prev = newOp;
          if (!outRec.IsOpen)
            this.SetHoleState(e, outRec);
          e.OutIdx = outRec.Idx;
          return newOp;
        } else {
          var outRec = this.m_PolyOuts[e.OutIdx];
          var op = outRec.Pts;
          var ToFront = e.Side === ClipperLib3.EdgeSide.esLeft;
          if (ToFront && ClipperLib3.IntPoint.op_Equality(pt, op.Pt))
            return op;
          else if (!ToFront && ClipperLib3.IntPoint.op_Equality(pt, op.Prev.Pt))
            return op.Prev;
          var newOp = new ClipperLib3.OutPt();
          newOp.Idx = outRec.Idx;
          newOp.Pt.X = pt.X;
          newOp.Pt.Y = pt.Y;
          if (ClipperLib3.use_xyz) newOp.Pt.Z = pt.Z;
          newOp.Next = op;
          newOp.Prev = op.Prev;
          newOp.Prev.Next = newOp;
          op.Prev = newOp;
          if (ToFront)
            outRec.Pts = newOp;
          return newOp;
        }
      };
      ClipperLib3.Clipper.prototype.GetLastOutPt = function(e) {
        var outRec = this.m_PolyOuts[e.OutIdx];
        if (e.Side === ClipperLib3.EdgeSide.esLeft) {
          return outRec.Pts;
        } else {
          return outRec.Pts.Prev;
        }
      };
      ClipperLib3.Clipper.prototype.SwapPoints = function(pt1, pt2) {
        var tmp = new ClipperLib3.IntPoint1(pt1.Value);
        pt1.Value.X = pt2.Value.X;
        pt1.Value.Y = pt2.Value.Y;
        if (ClipperLib3.use_xyz) pt1.Value.Z = pt2.Value.Z;
        pt2.Value.X = tmp.X;
        pt2.Value.Y = tmp.Y;
        if (ClipperLib3.use_xyz) pt2.Value.Z = tmp.Z;
      };
      ClipperLib3.Clipper.prototype.HorzSegmentsOverlap = function(seg1a, seg1b, seg2a, seg2b) {
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
      ClipperLib3.Clipper.prototype.SetHoleState = function(e, outRec) {
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
      ClipperLib3.Clipper.prototype.GetDx = function(pt1, pt2) {
        if (pt1.Y === pt2.Y)
          return ClipperLib3.ClipperBase.horizontal;
        else
          return (pt2.X - pt1.X) / (pt2.Y - pt1.Y);
      };
      ClipperLib3.Clipper.prototype.FirstIsBottomPt = function(btmPt1, btmPt2) {
        var p = btmPt1.Prev;
        while (ClipperLib3.IntPoint.op_Equality(p.Pt, btmPt1.Pt) && p !== btmPt1)
          p = p.Prev;
        var dx1p = Math.abs(this.GetDx(btmPt1.Pt, p.Pt));
        p = btmPt1.Next;
        while (ClipperLib3.IntPoint.op_Equality(p.Pt, btmPt1.Pt) && p !== btmPt1)
          p = p.Next;
        var dx1n = Math.abs(this.GetDx(btmPt1.Pt, p.Pt));
        p = btmPt2.Prev;
        while (ClipperLib3.IntPoint.op_Equality(p.Pt, btmPt2.Pt) && p !== btmPt2)
          p = p.Prev;
        var dx2p = Math.abs(this.GetDx(btmPt2.Pt, p.Pt));
        p = btmPt2.Next;
        while (ClipperLib3.IntPoint.op_Equality(p.Pt, btmPt2.Pt) && p !== btmPt2)
          p = p.Next;
        var dx2n = Math.abs(this.GetDx(btmPt2.Pt, p.Pt));
        if (Math.max(dx1p, dx1n) === Math.max(dx2p, dx2n) && Math.min(dx1p, dx1n) === Math.min(dx2p, dx2n)) {
          return this.Area(btmPt1) > 0;
        } else {
          return dx1p >= dx2p && dx1p >= dx2n || dx1n >= dx2p && dx1n >= dx2n;
        }
      };
      ClipperLib3.Clipper.prototype.GetBottomPt = function(pp) {
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
            while (ClipperLib3.IntPoint.op_Inequality(dups.Pt, pp.Pt))
              dups = dups.Next;
          }
        }
        return pp;
      };
      ClipperLib3.Clipper.prototype.GetLowermostRec = function(outRec1, outRec2) {
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
      ClipperLib3.Clipper.prototype.OutRec1RightOfOutRec2 = function(outRec1, outRec2) {
        do {
          outRec1 = outRec1.FirstLeft;
          if (outRec1 === outRec2)
            return true;
        } while (outRec1 !== null);
        return false;
      };
      ClipperLib3.Clipper.prototype.GetOutRec = function(idx) {
        var outrec = this.m_PolyOuts[idx];
        while (outrec !== this.m_PolyOuts[outrec.Idx])
          outrec = this.m_PolyOuts[outrec.Idx];
        return outrec;
      };
      ClipperLib3.Clipper.prototype.AppendPolygon = function(e1, e2) {
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
        if (e1.Side === ClipperLib3.EdgeSide.esLeft) {
          if (e2.Side === ClipperLib3.EdgeSide.esLeft) {
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
          if (e2.Side === ClipperLib3.EdgeSide.esRight) {
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
      ClipperLib3.Clipper.prototype.ReversePolyPtLinks = function(pp) {
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
      ClipperLib3.Clipper.SwapSides = function(edge1, edge2) {
        var side2 = edge1.Side;
        edge1.Side = edge2.Side;
        edge2.Side = side2;
      };
      ClipperLib3.Clipper.SwapPolyIndexes = function(edge1, edge2) {
        var outIdx = edge1.OutIdx;
        edge1.OutIdx = edge2.OutIdx;
        edge2.OutIdx = outIdx;
      };
      ClipperLib3.Clipper.prototype.IntersectEdges = function(e1, e2, pt) {
        var e1Contributing = e1.OutIdx >= 0;
        var e2Contributing = e2.OutIdx >= 0;
        if (ClipperLib3.use_xyz)
          this.SetZ(pt, e1, e2);
        if (ClipperLib3.use_lines) {
          if (e1.WindDelta === 0 || e2.WindDelta === 0) {
            if (e1.WindDelta === 0 && e2.WindDelta === 0) return;
            else if (e1.PolyTyp === e2.PolyTyp && e1.WindDelta !== e2.WindDelta && this.m_ClipType === ClipperLib3.ClipType.ctUnion) {
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
              if (e1.WindDelta === 0 && Math.abs(e2.WindCnt) === 1 && (this.m_ClipType !== ClipperLib3.ClipType.ctUnion || e2.WindCnt2 === 0)) {
                this.AddOutPt(e1, pt);
                if (e1Contributing)
                  e1.OutIdx = -1;
              } else if (e2.WindDelta === 0 && Math.abs(e1.WindCnt) === 1 && (this.m_ClipType !== ClipperLib3.ClipType.ctUnion || e1.WindCnt2 === 0)) {
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
        if (e1.PolyTyp === ClipperLib3.PolyType.ptSubject) {
          e1FillType = this.m_SubjFillType;
          e1FillType2 = this.m_ClipFillType;
        } else {
          e1FillType = this.m_ClipFillType;
          e1FillType2 = this.m_SubjFillType;
        }
        if (e2.PolyTyp === ClipperLib3.PolyType.ptSubject) {
          e2FillType = this.m_SubjFillType;
          e2FillType2 = this.m_ClipFillType;
        } else {
          e2FillType = this.m_ClipFillType;
          e2FillType2 = this.m_SubjFillType;
        }
        var e1Wc, e2Wc;
        switch (e1FillType) {
          case ClipperLib3.PolyFillType.pftPositive:
            e1Wc = e1.WindCnt;
            break;
          case ClipperLib3.PolyFillType.pftNegative:
            e1Wc = -e1.WindCnt;
            break;
          default:
            e1Wc = Math.abs(e1.WindCnt);
            break;
        }
        switch (e2FillType) {
          case ClipperLib3.PolyFillType.pftPositive:
            e2Wc = e2.WindCnt;
            break;
          case ClipperLib3.PolyFillType.pftNegative:
            e2Wc = -e2.WindCnt;
            break;
          default:
            e2Wc = Math.abs(e2.WindCnt);
            break;
        }
        if (e1Contributing && e2Contributing) {
          if (e1Wc !== 0 && e1Wc !== 1 || e2Wc !== 0 && e2Wc !== 1 || e1.PolyTyp !== e2.PolyTyp && this.m_ClipType !== ClipperLib3.ClipType.ctXor) {
            this.AddLocalMaxPoly(e1, e2, pt);
          } else {
            this.AddOutPt(e1, pt);
            this.AddOutPt(e2, pt);
            ClipperLib3.Clipper.SwapSides(e1, e2);
            ClipperLib3.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if (e1Contributing) {
          if (e2Wc === 0 || e2Wc === 1) {
            this.AddOutPt(e1, pt);
            ClipperLib3.Clipper.SwapSides(e1, e2);
            ClipperLib3.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if (e2Contributing) {
          if (e1Wc === 0 || e1Wc === 1) {
            this.AddOutPt(e2, pt);
            ClipperLib3.Clipper.SwapSides(e1, e2);
            ClipperLib3.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if ((e1Wc === 0 || e1Wc === 1) && (e2Wc === 0 || e2Wc === 1)) {
          var e1Wc2, e2Wc2;
          switch (e1FillType2) {
            case ClipperLib3.PolyFillType.pftPositive:
              e1Wc2 = e1.WindCnt2;
              break;
            case ClipperLib3.PolyFillType.pftNegative:
              e1Wc2 = -e1.WindCnt2;
              break;
            default:
              e1Wc2 = Math.abs(e1.WindCnt2);
              break;
          }
          switch (e2FillType2) {
            case ClipperLib3.PolyFillType.pftPositive:
              e2Wc2 = e2.WindCnt2;
              break;
            case ClipperLib3.PolyFillType.pftNegative:
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
              case ClipperLib3.ClipType.ctIntersection:
                if (e1Wc2 > 0 && e2Wc2 > 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib3.ClipType.ctUnion:
                if (e1Wc2 <= 0 && e2Wc2 <= 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib3.ClipType.ctDifference:
                if (e1.PolyTyp === ClipperLib3.PolyType.ptClip && e1Wc2 > 0 && e2Wc2 > 0 || e1.PolyTyp === ClipperLib3.PolyType.ptSubject && e1Wc2 <= 0 && e2Wc2 <= 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib3.ClipType.ctXor:
                this.AddLocalMinPoly(e1, e2, pt);
                break;
            }
          else
            ClipperLib3.Clipper.SwapSides(e1, e2);
        }
      };
      ClipperLib3.Clipper.prototype.DeleteFromSEL = function(e) {
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
      ClipperLib3.Clipper.prototype.ProcessHorizontals = function() {
        var horzEdge = {};
        while (this.PopEdgeFromSEL(horzEdge)) {
          this.ProcessHorizontal(horzEdge.v);
        }
      };
      ClipperLib3.Clipper.prototype.GetHorzDirection = function(HorzEdge, $var) {
        if (HorzEdge.Bot.X < HorzEdge.Top.X) {
          $var.Left = HorzEdge.Bot.X;
          $var.Right = HorzEdge.Top.X;
          $var.Dir = ClipperLib3.Direction.dLeftToRight;
        } else {
          $var.Left = HorzEdge.Top.X;
          $var.Right = HorzEdge.Bot.X;
          $var.Dir = ClipperLib3.Direction.dRightToLeft;
        }
      };
      ClipperLib3.Clipper.prototype.ProcessHorizontal = function(horzEdge) {
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
        while (eLastHorz.NextInLML !== null && ClipperLib3.ClipperBase.IsHorizontal(eLastHorz.NextInLML))
          eLastHorz = eLastHorz.NextInLML;
        if (eLastHorz.NextInLML === null)
          eMaxPair = this.GetMaximaPair(eLastHorz);
        var currMax = this.m_Maxima;
        if (currMax !== null) {
          if (dir === ClipperLib3.Direction.dLeftToRight) {
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
              if (dir === ClipperLib3.Direction.dLeftToRight) {
                while (currMax !== null && currMax.X < e.Curr.X) {
                  if (horzEdge.OutIdx >= 0 && !IsOpen) {
                    this.AddOutPt(horzEdge, new ClipperLib3.IntPoint2(currMax.X, horzEdge.Bot.Y));
                  }
                  currMax = currMax.Next;
                }
              } else {
                while (currMax !== null && currMax.X > e.Curr.X) {
                  if (horzEdge.OutIdx >= 0 && !IsOpen) {
                    this.AddOutPt(horzEdge, new ClipperLib3.IntPoint2(currMax.X, horzEdge.Bot.Y));
                  }
                  currMax = currMax.Prev;
                }
              }
            }
            if (dir === ClipperLib3.Direction.dLeftToRight && e.Curr.X > horzRight || dir === ClipperLib3.Direction.dRightToLeft && e.Curr.X < horzLeft) {
              break;
            }
            if (e.Curr.X === horzEdge.Top.X && horzEdge.NextInLML !== null && e.Dx < horzEdge.NextInLML.Dx)
              break;
            if (horzEdge.OutIdx >= 0 && !IsOpen) {
              if (ClipperLib3.use_xyz) {
                if (dir === ClipperLib3.Direction.dLeftToRight)
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
            if (dir === ClipperLib3.Direction.dLeftToRight) {
              var Pt = new ClipperLib3.IntPoint2(e.Curr.X, horzEdge.Curr.Y);
              this.IntersectEdges(horzEdge, e, Pt);
            } else {
              var Pt = new ClipperLib3.IntPoint2(e.Curr.X, horzEdge.Curr.Y);
              this.IntersectEdges(e, horzEdge, Pt);
            }
            var eNext = this.GetNextInAEL(e, dir);
            this.SwapPositionsInAEL(horzEdge, e);
            e = eNext;
          }
          if (horzEdge.NextInLML === null || !ClipperLib3.ClipperBase.IsHorizontal(horzEdge.NextInLML)) {
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
            if (ePrev !== null && ePrev.Curr.X === horzEdge.Bot.X && ePrev.Curr.Y === horzEdge.Bot.Y && ePrev.WindDelta === 0 && (ePrev.OutIdx >= 0 && ePrev.Curr.Y > ePrev.Top.Y && ClipperLib3.ClipperBase.SlopesEqual3(horzEdge, ePrev, this.m_UseFullRange))) {
              var op2 = this.AddOutPt(ePrev, horzEdge.Bot);
              this.AddJoin(op1, op2, horzEdge.Top);
            } else if (eNext !== null && eNext.Curr.X === horzEdge.Bot.X && eNext.Curr.Y === horzEdge.Bot.Y && eNext.WindDelta !== 0 && eNext.OutIdx >= 0 && eNext.Curr.Y > eNext.Top.Y && ClipperLib3.ClipperBase.SlopesEqual3(horzEdge, eNext, this.m_UseFullRange)) {
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
      ClipperLib3.Clipper.prototype.GetNextInAEL = function(e, Direction) {
        return Direction === ClipperLib3.Direction.dLeftToRight ? e.NextInAEL : e.PrevInAEL;
      };
      ClipperLib3.Clipper.prototype.IsMinima = function(e) {
        return e !== null && e.Prev.NextInLML !== e && e.Next.NextInLML !== e;
      };
      ClipperLib3.Clipper.prototype.IsMaxima = function(e, Y) {
        return e !== null && e.Top.Y === Y && e.NextInLML === null;
      };
      ClipperLib3.Clipper.prototype.IsIntermediate = function(e, Y) {
        return e.Top.Y === Y && e.NextInLML !== null;
      };
      ClipperLib3.Clipper.prototype.GetMaximaPair = function(e) {
        if (ClipperLib3.IntPoint.op_Equality(e.Next.Top, e.Top) && e.Next.NextInLML === null) {
          return e.Next;
        } else {
          if (ClipperLib3.IntPoint.op_Equality(e.Prev.Top, e.Top) && e.Prev.NextInLML === null) {
            return e.Prev;
          } else {
            return null;
          }
        }
      };
      ClipperLib3.Clipper.prototype.GetMaximaPairEx = function(e) {
        var result = this.GetMaximaPair(e);
        if (result === null || result.OutIdx === ClipperLib3.ClipperBase.Skip || result.NextInAEL === result.PrevInAEL && !ClipperLib3.ClipperBase.IsHorizontal(result)) {
          return null;
        }
        return result;
      };
      ClipperLib3.Clipper.prototype.ProcessIntersections = function(topY) {
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
          ClipperLib3.Error("ProcessIntersections error");
        }
        this.m_SortedEdges = null;
        return true;
      };
      ClipperLib3.Clipper.prototype.BuildIntersectList = function(topY) {
        if (this.m_ActiveEdges === null)
          return;
        var e = this.m_ActiveEdges;
        this.m_SortedEdges = e;
        while (e !== null) {
          e.PrevInSEL = e.PrevInAEL;
          e.NextInSEL = e.NextInAEL;
          e.Curr.X = ClipperLib3.Clipper.TopX(e, topY);
          e = e.NextInAEL;
        }
        var isModified = true;
        while (isModified && this.m_SortedEdges !== null) {
          isModified = false;
          e = this.m_SortedEdges;
          while (e.NextInSEL !== null) {
            var eNext = e.NextInSEL;
            var pt = new ClipperLib3.IntPoint0();
            if (e.Curr.X > eNext.Curr.X) {
              this.IntersectPoint(e, eNext, pt);
              if (pt.Y < topY) {
                pt = new ClipperLib3.IntPoint2(ClipperLib3.Clipper.TopX(e, topY), topY);
              }
              var newNode = new ClipperLib3.IntersectNode();
              newNode.Edge1 = e;
              newNode.Edge2 = eNext;
              newNode.Pt.X = pt.X;
              newNode.Pt.Y = pt.Y;
              if (ClipperLib3.use_xyz) newNode.Pt.Z = pt.Z;
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
      ClipperLib3.Clipper.prototype.EdgesAdjacent = function(inode) {
        return inode.Edge1.NextInSEL === inode.Edge2 || inode.Edge1.PrevInSEL === inode.Edge2;
      };
      ClipperLib3.Clipper.IntersectNodeSort = function(node1, node2) {
        return node2.Pt.Y - node1.Pt.Y;
      };
      ClipperLib3.Clipper.prototype.FixupIntersectionOrder = function() {
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
      ClipperLib3.Clipper.prototype.ProcessIntersectList = function() {
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
      if (browser.msie) ClipperLib3.Clipper.Round = R1;
      else if (browser.chromium) ClipperLib3.Clipper.Round = R3;
      else if (browser.safari) ClipperLib3.Clipper.Round = R4;
      else ClipperLib3.Clipper.Round = R2;
      ClipperLib3.Clipper.TopX = function(edge, currentY) {
        if (currentY === edge.Top.Y)
          return edge.Top.X;
        return edge.Bot.X + ClipperLib3.Clipper.Round(edge.Dx * (currentY - edge.Bot.Y));
      };
      ClipperLib3.Clipper.prototype.IntersectPoint = function(edge1, edge2, ip) {
        ip.X = 0;
        ip.Y = 0;
        var b1, b2;
        if (edge1.Dx === edge2.Dx) {
          ip.Y = edge1.Curr.Y;
          ip.X = ClipperLib3.Clipper.TopX(edge1, ip.Y);
          return;
        }
        if (edge1.Delta.X === 0) {
          ip.X = edge1.Bot.X;
          if (ClipperLib3.ClipperBase.IsHorizontal(edge2)) {
            ip.Y = edge2.Bot.Y;
          } else {
            b2 = edge2.Bot.Y - edge2.Bot.X / edge2.Dx;
            ip.Y = ClipperLib3.Clipper.Round(ip.X / edge2.Dx + b2);
          }
        } else if (edge2.Delta.X === 0) {
          ip.X = edge2.Bot.X;
          if (ClipperLib3.ClipperBase.IsHorizontal(edge1)) {
            ip.Y = edge1.Bot.Y;
          } else {
            b1 = edge1.Bot.Y - edge1.Bot.X / edge1.Dx;
            ip.Y = ClipperLib3.Clipper.Round(ip.X / edge1.Dx + b1);
          }
        } else {
          b1 = edge1.Bot.X - edge1.Bot.Y * edge1.Dx;
          b2 = edge2.Bot.X - edge2.Bot.Y * edge2.Dx;
          var q = (b2 - b1) / (edge1.Dx - edge2.Dx);
          ip.Y = ClipperLib3.Clipper.Round(q);
          if (Math.abs(edge1.Dx) < Math.abs(edge2.Dx))
            ip.X = ClipperLib3.Clipper.Round(edge1.Dx * q + b1);
          else
            ip.X = ClipperLib3.Clipper.Round(edge2.Dx * q + b2);
        }
        if (ip.Y < edge1.Top.Y || ip.Y < edge2.Top.Y) {
          if (edge1.Top.Y > edge2.Top.Y) {
            ip.Y = edge1.Top.Y;
            ip.X = ClipperLib3.Clipper.TopX(edge2, edge1.Top.Y);
            return ip.X < edge1.Top.X;
          } else
            ip.Y = edge2.Top.Y;
          if (Math.abs(edge1.Dx) < Math.abs(edge2.Dx))
            ip.X = ClipperLib3.Clipper.TopX(edge1, ip.Y);
          else
            ip.X = ClipperLib3.Clipper.TopX(edge2, ip.Y);
        }
        if (ip.Y > edge1.Curr.Y) {
          ip.Y = edge1.Curr.Y;
          if (Math.abs(edge1.Dx) > Math.abs(edge2.Dx))
            ip.X = ClipperLib3.Clipper.TopX(edge2, ip.Y);
          else
            ip.X = ClipperLib3.Clipper.TopX(edge1, ip.Y);
        }
      };
      ClipperLib3.Clipper.prototype.ProcessEdgesAtTopOfScanbeam = function(topY) {
        var e = this.m_ActiveEdges;
        while (e !== null) {
          var IsMaximaEdge = this.IsMaxima(e, topY);
          if (IsMaximaEdge) {
            var eMaxPair = this.GetMaximaPairEx(e);
            IsMaximaEdge = eMaxPair === null || !ClipperLib3.ClipperBase.IsHorizontal(eMaxPair);
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
            if (this.IsIntermediate(e, topY) && ClipperLib3.ClipperBase.IsHorizontal(e.NextInLML)) {
              e = this.UpdateEdgeIntoAEL(e);
              if (e.OutIdx >= 0)
                this.AddOutPt(e, e.Bot);
              this.AddEdgeToSEL(e);
            } else {
              e.Curr.X = ClipperLib3.Clipper.TopX(e, topY);
              e.Curr.Y = topY;
            }
            if (ClipperLib3.use_xyz) {
              if (e.Top.Y === topY) e.Curr.Z = e.Top.Z;
              else if (e.Bot.Y === topY) e.Curr.Z = e.Bot.Z;
              else e.Curr.Z = 0;
            }
            if (this.StrictlySimple) {
              var ePrev = e.PrevInAEL;
              if (e.OutIdx >= 0 && e.WindDelta !== 0 && ePrev !== null && ePrev.OutIdx >= 0 && ePrev.Curr.X === e.Curr.X && ePrev.WindDelta !== 0) {
                var ip = new ClipperLib3.IntPoint1(e.Curr);
                if (ClipperLib3.use_xyz) {
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
            if (ePrev !== null && ePrev.Curr.X === e.Bot.X && ePrev.Curr.Y === e.Bot.Y && op !== null && ePrev.OutIdx >= 0 && ePrev.Curr.Y === ePrev.Top.Y && ClipperLib3.ClipperBase.SlopesEqual5(e.Curr, e.Top, ePrev.Curr, ePrev.Top, this.m_UseFullRange) && e.WindDelta !== 0 && ePrev.WindDelta !== 0) {
              var op2 = this.AddOutPt(ePrev2, e.Bot);
              this.AddJoin(op, op2, e.Top);
            } else if (eNext !== null && eNext.Curr.X === e.Bot.X && eNext.Curr.Y === e.Bot.Y && op !== null && eNext.OutIdx >= 0 && eNext.Curr.Y === eNext.Top.Y && ClipperLib3.ClipperBase.SlopesEqual5(e.Curr, e.Top, eNext.Curr, eNext.Top, this.m_UseFullRange) && e.WindDelta !== 0 && eNext.WindDelta !== 0) {
              var op2 = this.AddOutPt(eNext, e.Bot);
              this.AddJoin(op, op2, e.Top);
            }
          }
          e = e.NextInAEL;
        }
      };
      ClipperLib3.Clipper.prototype.DoMaxima = function(e) {
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
        } else if (ClipperLib3.use_lines && e.WindDelta === 0) {
          if (e.OutIdx >= 0) {
            this.AddOutPt(e, e.Top);
            e.OutIdx = ClipperLib3.ClipperBase.Unassigned;
          }
          this.DeleteFromAEL(e);
          if (eMaxPair.OutIdx >= 0) {
            this.AddOutPt(eMaxPair, e.Top);
            eMaxPair.OutIdx = ClipperLib3.ClipperBase.Unassigned;
          }
          this.DeleteFromAEL(eMaxPair);
        } else
          ClipperLib3.Error("DoMaxima error");
      };
      ClipperLib3.Clipper.ReversePaths = function(polys) {
        for (var i = 0, len = polys.length; i < len; i++)
          polys[i].reverse();
      };
      ClipperLib3.Clipper.Orientation = function(poly) {
        return ClipperLib3.Clipper.Area(poly) >= 0;
      };
      ClipperLib3.Clipper.prototype.PointCount = function(pts) {
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
      ClipperLib3.Clipper.prototype.BuildResult = function(polyg) {
        ClipperLib3.Clear(polyg);
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
      ClipperLib3.Clipper.prototype.BuildResult2 = function(polytree) {
        polytree.Clear();
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          var outRec = this.m_PolyOuts[i];
          var cnt = this.PointCount(outRec.Pts);
          if (outRec.IsOpen && cnt < 2 || !outRec.IsOpen && cnt < 3)
            continue;
          this.FixHoleLinkage(outRec);
          var pn = new ClipperLib3.PolyNode();
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
      ClipperLib3.Clipper.prototype.FixupOutPolyline = function(outRec) {
        var pp = outRec.Pts;
        var lastPP = pp.Prev;
        while (pp !== lastPP) {
          pp = pp.Next;
          if (ClipperLib3.IntPoint.op_Equality(pp.Pt, pp.Prev.Pt)) {
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
      ClipperLib3.Clipper.prototype.FixupOutPolygon = function(outRec) {
        var lastOK = null;
        outRec.BottomPt = null;
        var pp = outRec.Pts;
        var preserveCol = this.PreserveCollinear || this.StrictlySimple;
        for (; ; ) {
          if (pp.Prev === pp || pp.Prev === pp.Next) {
            outRec.Pts = null;
            return;
          }
          if (ClipperLib3.IntPoint.op_Equality(pp.Pt, pp.Next.Pt) || ClipperLib3.IntPoint.op_Equality(pp.Pt, pp.Prev.Pt) || ClipperLib3.ClipperBase.SlopesEqual4(pp.Prev.Pt, pp.Pt, pp.Next.Pt, this.m_UseFullRange) && (!preserveCol || !this.Pt2IsBetweenPt1AndPt3(pp.Prev.Pt, pp.Pt, pp.Next.Pt))) {
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
      ClipperLib3.Clipper.prototype.DupOutPt = function(outPt, InsertAfter) {
        var result = new ClipperLib3.OutPt();
        result.Pt.X = outPt.Pt.X;
        result.Pt.Y = outPt.Pt.Y;
        if (ClipperLib3.use_xyz) result.Pt.Z = outPt.Pt.Z;
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
      ClipperLib3.Clipper.prototype.GetOverlap = function(a1, a2, b1, b2, $val) {
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
      ClipperLib3.Clipper.prototype.JoinHorz = function(op1, op1b, op2, op2b, Pt, DiscardLeft) {
        var Dir1 = op1.Pt.X > op1b.Pt.X ? ClipperLib3.Direction.dRightToLeft : ClipperLib3.Direction.dLeftToRight;
        var Dir2 = op2.Pt.X > op2b.Pt.X ? ClipperLib3.Direction.dRightToLeft : ClipperLib3.Direction.dLeftToRight;
        if (Dir1 === Dir2)
          return false;
        if (Dir1 === ClipperLib3.Direction.dLeftToRight) {
          while (op1.Next.Pt.X <= Pt.X && op1.Next.Pt.X >= op1.Pt.X && op1.Next.Pt.Y === Pt.Y)
            op1 = op1.Next;
          if (DiscardLeft && op1.Pt.X !== Pt.X)
            op1 = op1.Next;
          op1b = this.DupOutPt(op1, !DiscardLeft);
          if (ClipperLib3.IntPoint.op_Inequality(op1b.Pt, Pt)) {
            op1 = op1b;
            op1.Pt.X = Pt.X;
            op1.Pt.Y = Pt.Y;
            if (ClipperLib3.use_xyz) op1.Pt.Z = Pt.Z;
            op1b = this.DupOutPt(op1, !DiscardLeft);
          }
        } else {
          while (op1.Next.Pt.X >= Pt.X && op1.Next.Pt.X <= op1.Pt.X && op1.Next.Pt.Y === Pt.Y)
            op1 = op1.Next;
          if (!DiscardLeft && op1.Pt.X !== Pt.X)
            op1 = op1.Next;
          op1b = this.DupOutPt(op1, DiscardLeft);
          if (ClipperLib3.IntPoint.op_Inequality(op1b.Pt, Pt)) {
            op1 = op1b;
            op1.Pt.X = Pt.X;
            op1.Pt.Y = Pt.Y;
            if (ClipperLib3.use_xyz) op1.Pt.Z = Pt.Z;
            op1b = this.DupOutPt(op1, DiscardLeft);
          }
        }
        if (Dir2 === ClipperLib3.Direction.dLeftToRight) {
          while (op2.Next.Pt.X <= Pt.X && op2.Next.Pt.X >= op2.Pt.X && op2.Next.Pt.Y === Pt.Y)
            op2 = op2.Next;
          if (DiscardLeft && op2.Pt.X !== Pt.X)
            op2 = op2.Next;
          op2b = this.DupOutPt(op2, !DiscardLeft);
          if (ClipperLib3.IntPoint.op_Inequality(op2b.Pt, Pt)) {
            op2 = op2b;
            op2.Pt.X = Pt.X;
            op2.Pt.Y = Pt.Y;
            if (ClipperLib3.use_xyz) op2.Pt.Z = Pt.Z;
            op2b = this.DupOutPt(op2, !DiscardLeft);
          }
        } else {
          while (op2.Next.Pt.X >= Pt.X && op2.Next.Pt.X <= op2.Pt.X && op2.Next.Pt.Y === Pt.Y)
            op2 = op2.Next;
          if (!DiscardLeft && op2.Pt.X !== Pt.X)
            op2 = op2.Next;
          op2b = this.DupOutPt(op2, DiscardLeft);
          if (ClipperLib3.IntPoint.op_Inequality(op2b.Pt, Pt)) {
            op2 = op2b;
            op2.Pt.X = Pt.X;
            op2.Pt.Y = Pt.Y;
            if (ClipperLib3.use_xyz) op2.Pt.Z = Pt.Z;
            op2b = this.DupOutPt(op2, DiscardLeft);
          }
        }
        if (Dir1 === ClipperLib3.Direction.dLeftToRight === DiscardLeft) {
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
      ClipperLib3.Clipper.prototype.JoinPoints = function(j, outRec1, outRec2) {
        var op1 = j.OutPt1, op1b = new ClipperLib3.OutPt();
        var op2 = j.OutPt2, op2b = new ClipperLib3.OutPt();
        var isHorizontal = j.OutPt1.Pt.Y === j.OffPt.Y;
        if (isHorizontal && ClipperLib3.IntPoint.op_Equality(j.OffPt, j.OutPt1.Pt) && ClipperLib3.IntPoint.op_Equality(j.OffPt, j.OutPt2.Pt)) {
          if (outRec1 !== outRec2) return false;
          op1b = j.OutPt1.Next;
          while (op1b !== op1 && ClipperLib3.IntPoint.op_Equality(op1b.Pt, j.OffPt))
            op1b = op1b.Next;
          var reverse1 = op1b.Pt.Y > j.OffPt.Y;
          op2b = j.OutPt2.Next;
          while (op2b !== op2 && ClipperLib3.IntPoint.op_Equality(op2b.Pt, j.OffPt))
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
          var Pt = new ClipperLib3.IntPoint0();
          var DiscardLeftSide;
          if (op1.Pt.X >= Left && op1.Pt.X <= Right) {
            Pt.X = op1.Pt.X;
            Pt.Y = op1.Pt.Y;
            if (ClipperLib3.use_xyz) Pt.Z = op1.Pt.Z;
            DiscardLeftSide = op1.Pt.X > op1b.Pt.X;
          } else if (op2.Pt.X >= Left && op2.Pt.X <= Right) {
            Pt.X = op2.Pt.X;
            Pt.Y = op2.Pt.Y;
            if (ClipperLib3.use_xyz) Pt.Z = op2.Pt.Z;
            DiscardLeftSide = op2.Pt.X > op2b.Pt.X;
          } else if (op1b.Pt.X >= Left && op1b.Pt.X <= Right) {
            Pt.X = op1b.Pt.X;
            Pt.Y = op1b.Pt.Y;
            if (ClipperLib3.use_xyz) Pt.Z = op1b.Pt.Z;
            DiscardLeftSide = op1b.Pt.X > op1.Pt.X;
          } else {
            Pt.X = op2b.Pt.X;
            Pt.Y = op2b.Pt.Y;
            if (ClipperLib3.use_xyz) Pt.Z = op2b.Pt.Z;
            DiscardLeftSide = op2b.Pt.X > op2.Pt.X;
          }
          j.OutPt1 = op1;
          j.OutPt2 = op2;
          return this.JoinHorz(op1, op1b, op2, op2b, Pt, DiscardLeftSide);
        } else {
          op1b = op1.Next;
          while (ClipperLib3.IntPoint.op_Equality(op1b.Pt, op1.Pt) && op1b !== op1)
            op1b = op1b.Next;
          var Reverse1 = op1b.Pt.Y > op1.Pt.Y || !ClipperLib3.ClipperBase.SlopesEqual4(op1.Pt, op1b.Pt, j.OffPt, this.m_UseFullRange);
          if (Reverse1) {
            op1b = op1.Prev;
            while (ClipperLib3.IntPoint.op_Equality(op1b.Pt, op1.Pt) && op1b !== op1)
              op1b = op1b.Prev;
            if (op1b.Pt.Y > op1.Pt.Y || !ClipperLib3.ClipperBase.SlopesEqual4(op1.Pt, op1b.Pt, j.OffPt, this.m_UseFullRange))
              return false;
          }
          op2b = op2.Next;
          while (ClipperLib3.IntPoint.op_Equality(op2b.Pt, op2.Pt) && op2b !== op2)
            op2b = op2b.Next;
          var Reverse2 = op2b.Pt.Y > op2.Pt.Y || !ClipperLib3.ClipperBase.SlopesEqual4(op2.Pt, op2b.Pt, j.OffPt, this.m_UseFullRange);
          if (Reverse2) {
            op2b = op2.Prev;
            while (ClipperLib3.IntPoint.op_Equality(op2b.Pt, op2.Pt) && op2b !== op2)
              op2b = op2b.Prev;
            if (op2b.Pt.Y > op2.Pt.Y || !ClipperLib3.ClipperBase.SlopesEqual4(op2.Pt, op2b.Pt, j.OffPt, this.m_UseFullRange))
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
      ClipperLib3.Clipper.GetBounds = function(paths) {
        var i = 0, cnt = paths.length;
        while (i < cnt && paths[i].length === 0) i++;
        if (i === cnt) return new ClipperLib3.IntRect(0, 0, 0, 0);
        var result = new ClipperLib3.IntRect();
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
      ClipperLib3.Clipper.prototype.GetBounds2 = function(ops) {
        var opStart = ops;
        var result = new ClipperLib3.IntRect();
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
      ClipperLib3.Clipper.PointInPolygon = function(pt, path) {
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
      ClipperLib3.Clipper.prototype.PointInPolygon = function(pt, op) {
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
      ClipperLib3.Clipper.prototype.Poly2ContainsPoly1 = function(outPt1, outPt2) {
        var op = outPt1;
        do {
          var res = this.PointInPolygon(op.Pt, outPt2);
          if (res >= 0)
            return res > 0;
          op = op.Next;
        } while (op !== outPt1);
        return true;
      };
      ClipperLib3.Clipper.prototype.FixupFirstLefts1 = function(OldOutRec, NewOutRec) {
        var outRec, firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          firstLeft = ClipperLib3.Clipper.ParseFirstLeft(outRec.FirstLeft);
          if (outRec.Pts !== null && firstLeft === OldOutRec) {
            if (this.Poly2ContainsPoly1(outRec.Pts, NewOutRec.Pts))
              outRec.FirstLeft = NewOutRec;
          }
        }
      };
      ClipperLib3.Clipper.prototype.FixupFirstLefts2 = function(innerOutRec, outerOutRec) {
        var orfl = outerOutRec.FirstLeft;
        var outRec, firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          if (outRec.Pts === null || outRec === outerOutRec || outRec === innerOutRec)
            continue;
          firstLeft = ClipperLib3.Clipper.ParseFirstLeft(outRec.FirstLeft);
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
      ClipperLib3.Clipper.prototype.FixupFirstLefts3 = function(OldOutRec, NewOutRec) {
        var outRec;
        var firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          firstLeft = ClipperLib3.Clipper.ParseFirstLeft(outRec.FirstLeft);
          if (outRec.Pts !== null && firstLeft === OldOutRec)
            outRec.FirstLeft = NewOutRec;
        }
      };
      ClipperLib3.Clipper.ParseFirstLeft = function(FirstLeft) {
        while (FirstLeft !== null && FirstLeft.Pts === null)
          FirstLeft = FirstLeft.FirstLeft;
        return FirstLeft;
      };
      ClipperLib3.Clipper.prototype.JoinCommonEdges = function() {
        for (var i = 0, ilen = this.m_Joins.length; i < ilen; i++) {
          var join2 = this.m_Joins[i];
          var outRec1 = this.GetOutRec(join2.OutPt1.Idx);
          var outRec2 = this.GetOutRec(join2.OutPt2.Idx);
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
          if (!this.JoinPoints(join2, outRec1, outRec2)) continue;
          if (outRec1 === outRec2) {
            outRec1.Pts = join2.OutPt1;
            outRec1.BottomPt = null;
            outRec2 = this.CreateOutRec();
            outRec2.Pts = join2.OutPt2;
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
      ClipperLib3.Clipper.prototype.UpdateOutPtIdxs = function(outrec) {
        var op = outrec.Pts;
        do {
          op.Idx = outrec.Idx;
          op = op.Prev;
        } while (op !== outrec.Pts);
      };
      ClipperLib3.Clipper.prototype.DoSimplePolygons = function() {
        var i = 0;
        while (i < this.m_PolyOuts.length) {
          var outrec = this.m_PolyOuts[i++];
          var op = outrec.Pts;
          if (op === null || outrec.IsOpen)
            continue;
          do {
            var op2 = op.Next;
            while (op2 !== outrec.Pts) {
              if (ClipperLib3.IntPoint.op_Equality(op.Pt, op2.Pt) && op2.Next !== op && op2.Prev !== op) {
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
      ClipperLib3.Clipper.Area = function(poly) {
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
      ClipperLib3.Clipper.prototype.Area = function(op) {
        var opFirst = op;
        if (op === null) return 0;
        var a = 0;
        do {
          a = a + (op.Prev.Pt.X + op.Pt.X) * (op.Prev.Pt.Y - op.Pt.Y);
          op = op.Next;
        } while (op !== opFirst);
        return a * 0.5;
      };
      ClipperLib3.Clipper.prototype.Area$1 = function(outRec) {
        return this.Area(outRec.Pts);
      };
      ClipperLib3.Clipper.SimplifyPolygon = function(poly, fillType) {
        var result = new Array();
        var c = new ClipperLib3.Clipper(0);
        c.StrictlySimple = true;
        c.AddPath(poly, ClipperLib3.PolyType.ptSubject, true);
        c.Execute(ClipperLib3.ClipType.ctUnion, result, fillType, fillType);
        return result;
      };
      ClipperLib3.Clipper.SimplifyPolygons = function(polys, fillType) {
        if (typeof fillType === "undefined") fillType = ClipperLib3.PolyFillType.pftEvenOdd;
        var result = new Array();
        var c = new ClipperLib3.Clipper(0);
        c.StrictlySimple = true;
        c.AddPaths(polys, ClipperLib3.PolyType.ptSubject, true);
        c.Execute(ClipperLib3.ClipType.ctUnion, result, fillType, fillType);
        return result;
      };
      ClipperLib3.Clipper.DistanceSqrd = function(pt1, pt2) {
        var dx = pt1.X - pt2.X;
        var dy = pt1.Y - pt2.Y;
        return dx * dx + dy * dy;
      };
      ClipperLib3.Clipper.DistanceFromLineSqrd = function(pt, ln1, ln2) {
        var A = ln1.Y - ln2.Y;
        var B = ln2.X - ln1.X;
        var C = A * ln1.X + B * ln1.Y;
        C = A * pt.X + B * pt.Y - C;
        return C * C / (A * A + B * B);
      };
      ClipperLib3.Clipper.SlopesNearCollinear = function(pt1, pt2, pt3, distSqrd) {
        if (Math.abs(pt1.X - pt2.X) > Math.abs(pt1.Y - pt2.Y)) {
          if (pt1.X > pt2.X === pt1.X < pt3.X)
            return ClipperLib3.Clipper.DistanceFromLineSqrd(pt1, pt2, pt3) < distSqrd;
          else if (pt2.X > pt1.X === pt2.X < pt3.X)
            return ClipperLib3.Clipper.DistanceFromLineSqrd(pt2, pt1, pt3) < distSqrd;
          else
            return ClipperLib3.Clipper.DistanceFromLineSqrd(pt3, pt1, pt2) < distSqrd;
        } else {
          if (pt1.Y > pt2.Y === pt1.Y < pt3.Y)
            return ClipperLib3.Clipper.DistanceFromLineSqrd(pt1, pt2, pt3) < distSqrd;
          else if (pt2.Y > pt1.Y === pt2.Y < pt3.Y)
            return ClipperLib3.Clipper.DistanceFromLineSqrd(pt2, pt1, pt3) < distSqrd;
          else
            return ClipperLib3.Clipper.DistanceFromLineSqrd(pt3, pt1, pt2) < distSqrd;
        }
      };
      ClipperLib3.Clipper.PointsAreClose = function(pt1, pt2, distSqrd) {
        var dx = pt1.X - pt2.X;
        var dy = pt1.Y - pt2.Y;
        return dx * dx + dy * dy <= distSqrd;
      };
      ClipperLib3.Clipper.ExcludeOp = function(op) {
        var result = op.Prev;
        result.Next = op.Next;
        op.Next.Prev = result;
        result.Idx = 0;
        return result;
      };
      ClipperLib3.Clipper.CleanPolygon = function(path, distance2) {
        if (typeof distance2 === "undefined") distance2 = 1.415;
        var cnt = path.length;
        if (cnt === 0)
          return new Array();
        var outPts = new Array(cnt);
        for (var i = 0; i < cnt; ++i)
          outPts[i] = new ClipperLib3.OutPt();
        for (var i = 0; i < cnt; ++i) {
          outPts[i].Pt = path[i];
          outPts[i].Next = outPts[(i + 1) % cnt];
          outPts[i].Next.Prev = outPts[i];
          outPts[i].Idx = 0;
        }
        var distSqrd = distance2 * distance2;
        var op = outPts[0];
        while (op.Idx === 0 && op.Next !== op.Prev) {
          if (ClipperLib3.Clipper.PointsAreClose(op.Pt, op.Prev.Pt, distSqrd)) {
            op = ClipperLib3.Clipper.ExcludeOp(op);
            cnt--;
          } else if (ClipperLib3.Clipper.PointsAreClose(op.Prev.Pt, op.Next.Pt, distSqrd)) {
            ClipperLib3.Clipper.ExcludeOp(op.Next);
            op = ClipperLib3.Clipper.ExcludeOp(op);
            cnt -= 2;
          } else if (ClipperLib3.Clipper.SlopesNearCollinear(op.Prev.Pt, op.Pt, op.Next.Pt, distSqrd)) {
            op = ClipperLib3.Clipper.ExcludeOp(op);
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
          result[i] = new ClipperLib3.IntPoint1(op.Pt);
          op = op.Next;
        }
        outPts = null;
        return result;
      };
      ClipperLib3.Clipper.CleanPolygons = function(polys, distance2) {
        var result = new Array(polys.length);
        for (var i = 0, ilen = polys.length; i < ilen; i++)
          result[i] = ClipperLib3.Clipper.CleanPolygon(polys[i], distance2);
        return result;
      };
      ClipperLib3.Clipper.Minkowski = function(pattern, path, IsSum, IsClosed) {
        var delta = IsClosed ? 1 : 0;
        var polyCnt = pattern.length;
        var pathCnt = path.length;
        var result = new Array();
        if (IsSum)
          for (var i = 0; i < pathCnt; i++) {
            var p = new Array(polyCnt);
            for (var j = 0, jlen = pattern.length, ip = pattern[j]; j < jlen; j++, ip = pattern[j])
              p[j] = new ClipperLib3.IntPoint2(path[i].X + ip.X, path[i].Y + ip.Y);
            result.push(p);
          }
        else
          for (var i = 0; i < pathCnt; i++) {
            var p = new Array(polyCnt);
            for (var j = 0, jlen = pattern.length, ip = pattern[j]; j < jlen; j++, ip = pattern[j])
              p[j] = new ClipperLib3.IntPoint2(path[i].X - ip.X, path[i].Y - ip.Y);
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
            if (!ClipperLib3.Clipper.Orientation(quad))
              quad.reverse();
            quads.push(quad);
          }
        return quads;
      };
      ClipperLib3.Clipper.MinkowskiSum = function(pattern, path_or_paths, pathIsClosed) {
        if (!(path_or_paths[0] instanceof Array)) {
          var path = path_or_paths;
          var paths = ClipperLib3.Clipper.Minkowski(pattern, path, true, pathIsClosed);
          var c = new ClipperLib3.Clipper();
          c.AddPaths(paths, ClipperLib3.PolyType.ptSubject, true);
          c.Execute(ClipperLib3.ClipType.ctUnion, paths, ClipperLib3.PolyFillType.pftNonZero, ClipperLib3.PolyFillType.pftNonZero);
          return paths;
        } else {
          var paths = path_or_paths;
          var solution = new ClipperLib3.Paths();
          var c = new ClipperLib3.Clipper();
          for (var i = 0; i < paths.length; ++i) {
            var tmp = ClipperLib3.Clipper.Minkowski(pattern, paths[i], true, pathIsClosed);
            c.AddPaths(tmp, ClipperLib3.PolyType.ptSubject, true);
            if (pathIsClosed) {
              var path = ClipperLib3.Clipper.TranslatePath(paths[i], pattern[0]);
              c.AddPath(path, ClipperLib3.PolyType.ptClip, true);
            }
          }
          c.Execute(
            ClipperLib3.ClipType.ctUnion,
            solution,
            ClipperLib3.PolyFillType.pftNonZero,
            ClipperLib3.PolyFillType.pftNonZero
          );
          return solution;
        }
      };
      ClipperLib3.Clipper.TranslatePath = function(path, delta) {
        var outPath = new ClipperLib3.Path();
        for (var i = 0; i < path.length; i++)
          outPath.push(new ClipperLib3.IntPoint2(path[i].X + delta.X, path[i].Y + delta.Y));
        return outPath;
      };
      ClipperLib3.Clipper.MinkowskiDiff = function(poly1, poly2) {
        var paths = ClipperLib3.Clipper.Minkowski(poly1, poly2, false, true);
        var c = new ClipperLib3.Clipper();
        c.AddPaths(paths, ClipperLib3.PolyType.ptSubject, true);
        c.Execute(ClipperLib3.ClipType.ctUnion, paths, ClipperLib3.PolyFillType.pftNonZero, ClipperLib3.PolyFillType.pftNonZero);
        return paths;
      };
      ClipperLib3.Clipper.PolyTreeToPaths = function(polytree) {
        var result = new Array();
        ClipperLib3.Clipper.AddPolyNodeToPaths(polytree, ClipperLib3.Clipper.NodeType.ntAny, result);
        return result;
      };
      ClipperLib3.Clipper.AddPolyNodeToPaths = function(polynode, nt, paths) {
        var match = true;
        switch (nt) {
          case ClipperLib3.Clipper.NodeType.ntOpen:
            return;
          case ClipperLib3.Clipper.NodeType.ntClosed:
            match = !polynode.IsOpen;
            break;
          default:
            break;
        }
        if (polynode.m_polygon.length > 0 && match)
          paths.push(polynode.m_polygon);
        for (var $i3 = 0, $t3 = polynode.Childs(), $l3 = $t3.length, pn = $t3[$i3]; $i3 < $l3; $i3++, pn = $t3[$i3])
          ClipperLib3.Clipper.AddPolyNodeToPaths(pn, nt, paths);
      };
      ClipperLib3.Clipper.OpenPathsFromPolyTree = function(polytree) {
        var result = new ClipperLib3.Paths();
        for (var i = 0, ilen = polytree.ChildCount(); i < ilen; i++)
          if (polytree.Childs()[i].IsOpen)
            result.push(polytree.Childs()[i].m_polygon);
        return result;
      };
      ClipperLib3.Clipper.ClosedPathsFromPolyTree = function(polytree) {
        var result = new ClipperLib3.Paths();
        ClipperLib3.Clipper.AddPolyNodeToPaths(polytree, ClipperLib3.Clipper.NodeType.ntClosed, result);
        return result;
      };
      Inherit(ClipperLib3.Clipper, ClipperLib3.ClipperBase);
      ClipperLib3.Clipper.NodeType = {
        ntAny: 0,
        ntOpen: 1,
        ntClosed: 2
      };
      ClipperLib3.ClipperOffset = function(miterLimit, arcTolerance) {
        if (typeof miterLimit === "undefined") miterLimit = 2;
        if (typeof arcTolerance === "undefined") arcTolerance = ClipperLib3.ClipperOffset.def_arc_tolerance;
        this.m_destPolys = new ClipperLib3.Paths();
        this.m_srcPoly = new ClipperLib3.Path();
        this.m_destPoly = new ClipperLib3.Path();
        this.m_normals = new Array();
        this.m_delta = 0;
        this.m_sinA = 0;
        this.m_sin = 0;
        this.m_cos = 0;
        this.m_miterLim = 0;
        this.m_StepsPerRad = 0;
        this.m_lowest = new ClipperLib3.IntPoint0();
        this.m_polyNodes = new ClipperLib3.PolyNode();
        this.MiterLimit = miterLimit;
        this.ArcTolerance = arcTolerance;
        this.m_lowest.X = -1;
      };
      ClipperLib3.ClipperOffset.two_pi = 6.28318530717959;
      ClipperLib3.ClipperOffset.def_arc_tolerance = 0.25;
      ClipperLib3.ClipperOffset.prototype.Clear = function() {
        ClipperLib3.Clear(this.m_polyNodes.Childs());
        this.m_lowest.X = -1;
      };
      ClipperLib3.ClipperOffset.Round = ClipperLib3.Clipper.Round;
      ClipperLib3.ClipperOffset.prototype.AddPath = function(path, joinType, endType) {
        var highI = path.length - 1;
        if (highI < 0)
          return;
        var newNode = new ClipperLib3.PolyNode();
        newNode.m_jointype = joinType;
        newNode.m_endtype = endType;
        if (endType === ClipperLib3.EndType.etClosedLine || endType === ClipperLib3.EndType.etClosedPolygon)
          while (highI > 0 && ClipperLib3.IntPoint.op_Equality(path[0], path[highI]))
            highI--;
        newNode.m_polygon.push(path[0]);
        var j = 0, k = 0;
        for (var i = 1; i <= highI; i++)
          if (ClipperLib3.IntPoint.op_Inequality(newNode.m_polygon[j], path[i])) {
            j++;
            newNode.m_polygon.push(path[i]);
            if (path[i].Y > newNode.m_polygon[k].Y || path[i].Y === newNode.m_polygon[k].Y && path[i].X < newNode.m_polygon[k].X)
              k = j;
          }
        if (endType === ClipperLib3.EndType.etClosedPolygon && j < 2) return;
        this.m_polyNodes.AddChild(newNode);
        if (endType !== ClipperLib3.EndType.etClosedPolygon)
          return;
        if (this.m_lowest.X < 0)
          this.m_lowest = new ClipperLib3.IntPoint2(this.m_polyNodes.ChildCount() - 1, k);
        else {
          var ip = this.m_polyNodes.Childs()[this.m_lowest.X].m_polygon[this.m_lowest.Y];
          if (newNode.m_polygon[k].Y > ip.Y || newNode.m_polygon[k].Y === ip.Y && newNode.m_polygon[k].X < ip.X)
            this.m_lowest = new ClipperLib3.IntPoint2(this.m_polyNodes.ChildCount() - 1, k);
        }
      };
      ClipperLib3.ClipperOffset.prototype.AddPaths = function(paths, joinType, endType) {
        for (var i = 0, ilen = paths.length; i < ilen; i++)
          this.AddPath(paths[i], joinType, endType);
      };
      ClipperLib3.ClipperOffset.prototype.FixOrientations = function() {
        if (this.m_lowest.X >= 0 && !ClipperLib3.Clipper.Orientation(this.m_polyNodes.Childs()[this.m_lowest.X].m_polygon)) {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib3.EndType.etClosedPolygon || node.m_endtype === ClipperLib3.EndType.etClosedLine && ClipperLib3.Clipper.Orientation(node.m_polygon))
              node.m_polygon.reverse();
          }
        } else {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib3.EndType.etClosedLine && !ClipperLib3.Clipper.Orientation(node.m_polygon))
              node.m_polygon.reverse();
          }
        }
      };
      ClipperLib3.ClipperOffset.GetUnitNormal = function(pt1, pt2) {
        var dx = pt2.X - pt1.X;
        var dy = pt2.Y - pt1.Y;
        if (dx === 0 && dy === 0)
          return new ClipperLib3.DoublePoint2(0, 0);
        var f = 1 / Math.sqrt(dx * dx + dy * dy);
        dx *= f;
        dy *= f;
        return new ClipperLib3.DoublePoint2(dy, -dx);
      };
      ClipperLib3.ClipperOffset.prototype.DoOffset = function(delta) {
        this.m_destPolys = new Array();
        this.m_delta = delta;
        if (ClipperLib3.ClipperBase.near_zero(delta)) {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib3.EndType.etClosedPolygon)
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
          y = ClipperLib3.ClipperOffset.def_arc_tolerance;
        else if (this.ArcTolerance > Math.abs(delta) * ClipperLib3.ClipperOffset.def_arc_tolerance)
          y = Math.abs(delta) * ClipperLib3.ClipperOffset.def_arc_tolerance;
        else
          y = this.ArcTolerance;
        var steps = 3.14159265358979 / Math.acos(1 - y / Math.abs(delta));
        this.m_sin = Math.sin(ClipperLib3.ClipperOffset.two_pi / steps);
        this.m_cos = Math.cos(ClipperLib3.ClipperOffset.two_pi / steps);
        this.m_StepsPerRad = steps / ClipperLib3.ClipperOffset.two_pi;
        if (delta < 0)
          this.m_sin = -this.m_sin;
        for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
          var node = this.m_polyNodes.Childs()[i];
          this.m_srcPoly = node.m_polygon;
          var len = this.m_srcPoly.length;
          if (len === 0 || delta <= 0 && (len < 3 || node.m_endtype !== ClipperLib3.EndType.etClosedPolygon))
            continue;
          this.m_destPoly = new Array();
          if (len === 1) {
            if (node.m_jointype === ClipperLib3.JoinType.jtRound) {
              var X = 1, Y = 0;
              for (var j = 1; j <= steps; j++) {
                this.m_destPoly.push(new ClipperLib3.IntPoint2(ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].X + X * delta), ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].Y + Y * delta)));
                var X2 = X;
                X = X * this.m_cos - this.m_sin * Y;
                Y = X2 * this.m_sin + Y * this.m_cos;
              }
            } else {
              var X = -1, Y = -1;
              for (var j = 0; j < 4; ++j) {
                this.m_destPoly.push(new ClipperLib3.IntPoint2(ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].X + X * delta), ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].Y + Y * delta)));
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
            this.m_normals.push(ClipperLib3.ClipperOffset.GetUnitNormal(this.m_srcPoly[j], this.m_srcPoly[j + 1]));
          if (node.m_endtype === ClipperLib3.EndType.etClosedLine || node.m_endtype === ClipperLib3.EndType.etClosedPolygon)
            this.m_normals.push(ClipperLib3.ClipperOffset.GetUnitNormal(this.m_srcPoly[len - 1], this.m_srcPoly[0]));
          else
            this.m_normals.push(new ClipperLib3.DoublePoint1(this.m_normals[len - 2]));
          if (node.m_endtype === ClipperLib3.EndType.etClosedPolygon) {
            var k = len - 1;
            for (var j = 0; j < len; j++)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
          } else if (node.m_endtype === ClipperLib3.EndType.etClosedLine) {
            var k = len - 1;
            for (var j = 0; j < len; j++)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
            this.m_destPoly = new Array();
            var n = this.m_normals[len - 1];
            for (var j = len - 1; j > 0; j--)
              this.m_normals[j] = new ClipperLib3.DoublePoint2(-this.m_normals[j - 1].X, -this.m_normals[j - 1].Y);
            this.m_normals[0] = new ClipperLib3.DoublePoint2(-n.X, -n.Y);
            k = 0;
            for (var j = len - 1; j >= 0; j--)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
          } else {
            var k = 0;
            for (var j = 1; j < len - 1; ++j)
              k = this.OffsetPoint(j, k, node.m_jointype);
            var pt1;
            if (node.m_endtype === ClipperLib3.EndType.etOpenButt) {
              var j = len - 1;
              pt1 = new ClipperLib3.IntPoint2(ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * delta), ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * delta));
              this.m_destPoly.push(pt1);
              pt1 = new ClipperLib3.IntPoint2(ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X - this.m_normals[j].X * delta), ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y - this.m_normals[j].Y * delta));
              this.m_destPoly.push(pt1);
            } else {
              var j = len - 1;
              k = len - 2;
              this.m_sinA = 0;
              this.m_normals[j] = new ClipperLib3.DoublePoint2(-this.m_normals[j].X, -this.m_normals[j].Y);
              if (node.m_endtype === ClipperLib3.EndType.etOpenSquare)
                this.DoSquare(j, k);
              else
                this.DoRound(j, k);
            }
            for (var j = len - 1; j > 0; j--)
              this.m_normals[j] = new ClipperLib3.DoublePoint2(-this.m_normals[j - 1].X, -this.m_normals[j - 1].Y);
            this.m_normals[0] = new ClipperLib3.DoublePoint2(-this.m_normals[1].X, -this.m_normals[1].Y);
            k = len - 1;
            for (var j = k - 1; j > 0; --j)
              k = this.OffsetPoint(j, k, node.m_jointype);
            if (node.m_endtype === ClipperLib3.EndType.etOpenButt) {
              pt1 = new ClipperLib3.IntPoint2(ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].X - this.m_normals[0].X * delta), ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].Y - this.m_normals[0].Y * delta));
              this.m_destPoly.push(pt1);
              pt1 = new ClipperLib3.IntPoint2(ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].X + this.m_normals[0].X * delta), ClipperLib3.ClipperOffset.Round(this.m_srcPoly[0].Y + this.m_normals[0].Y * delta));
              this.m_destPoly.push(pt1);
            } else {
              k = 1;
              this.m_sinA = 0;
              if (node.m_endtype === ClipperLib3.EndType.etOpenSquare)
                this.DoSquare(0, 1);
              else
                this.DoRound(0, 1);
            }
            this.m_destPolys.push(this.m_destPoly);
          }
        }
      };
      ClipperLib3.ClipperOffset.prototype.Execute = function() {
        var a = arguments, ispolytree = a[0] instanceof ClipperLib3.PolyTree;
        if (!ispolytree) {
          var solution = a[0], delta = a[1];
          ClipperLib3.Clear(solution);
          this.FixOrientations();
          this.DoOffset(delta);
          var clpr = new ClipperLib3.Clipper(0);
          clpr.AddPaths(this.m_destPolys, ClipperLib3.PolyType.ptSubject, true);
          if (delta > 0) {
            clpr.Execute(ClipperLib3.ClipType.ctUnion, solution, ClipperLib3.PolyFillType.pftPositive, ClipperLib3.PolyFillType.pftPositive);
          } else {
            var r = ClipperLib3.Clipper.GetBounds(this.m_destPolys);
            var outer = new ClipperLib3.Path();
            outer.push(new ClipperLib3.IntPoint2(r.left - 10, r.bottom + 10));
            outer.push(new ClipperLib3.IntPoint2(r.right + 10, r.bottom + 10));
            outer.push(new ClipperLib3.IntPoint2(r.right + 10, r.top - 10));
            outer.push(new ClipperLib3.IntPoint2(r.left - 10, r.top - 10));
            clpr.AddPath(outer, ClipperLib3.PolyType.ptSubject, true);
            clpr.ReverseSolution = true;
            clpr.Execute(ClipperLib3.ClipType.ctUnion, solution, ClipperLib3.PolyFillType.pftNegative, ClipperLib3.PolyFillType.pftNegative);
            if (solution.length > 0)
              solution.splice(0, 1);
          }
        } else {
          var solution = a[0], delta = a[1];
          solution.Clear();
          this.FixOrientations();
          this.DoOffset(delta);
          var clpr = new ClipperLib3.Clipper(0);
          clpr.AddPaths(this.m_destPolys, ClipperLib3.PolyType.ptSubject, true);
          if (delta > 0) {
            clpr.Execute(ClipperLib3.ClipType.ctUnion, solution, ClipperLib3.PolyFillType.pftPositive, ClipperLib3.PolyFillType.pftPositive);
          } else {
            var r = ClipperLib3.Clipper.GetBounds(this.m_destPolys);
            var outer = new ClipperLib3.Path();
            outer.push(new ClipperLib3.IntPoint2(r.left - 10, r.bottom + 10));
            outer.push(new ClipperLib3.IntPoint2(r.right + 10, r.bottom + 10));
            outer.push(new ClipperLib3.IntPoint2(r.right + 10, r.top - 10));
            outer.push(new ClipperLib3.IntPoint2(r.left - 10, r.top - 10));
            clpr.AddPath(outer, ClipperLib3.PolyType.ptSubject, true);
            clpr.ReverseSolution = true;
            clpr.Execute(ClipperLib3.ClipType.ctUnion, solution, ClipperLib3.PolyFillType.pftNegative, ClipperLib3.PolyFillType.pftNegative);
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
      ClipperLib3.ClipperOffset.prototype.OffsetPoint = function(j, k, jointype) {
        this.m_sinA = this.m_normals[k].X * this.m_normals[j].Y - this.m_normals[j].X * this.m_normals[k].Y;
        if (Math.abs(this.m_sinA * this.m_delta) < 1) {
          var cosA = this.m_normals[k].X * this.m_normals[j].X + this.m_normals[j].Y * this.m_normals[k].Y;
          if (cosA > 0) {
            this.m_destPoly.push(new ClipperLib3.IntPoint2(
              ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[k].X * this.m_delta),
              ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[k].Y * this.m_delta)
            ));
            return k;
          }
        } else if (this.m_sinA > 1)
          this.m_sinA = 1;
        else if (this.m_sinA < -1)
          this.m_sinA = -1;
        if (this.m_sinA * this.m_delta < 0) {
          this.m_destPoly.push(new ClipperLib3.IntPoint2(
            ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[k].X * this.m_delta),
            ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[k].Y * this.m_delta)
          ));
          this.m_destPoly.push(new ClipperLib3.IntPoint1(this.m_srcPoly[j]));
          this.m_destPoly.push(new ClipperLib3.IntPoint2(
            ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * this.m_delta),
            ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * this.m_delta)
          ));
        } else
          switch (jointype) {
            case ClipperLib3.JoinType.jtMiter: {
              var r = 1 + (this.m_normals[j].X * this.m_normals[k].X + this.m_normals[j].Y * this.m_normals[k].Y);
              if (r >= this.m_miterLim)
                this.DoMiter(j, k, r);
              else
                this.DoSquare(j, k);
              break;
            }
            case ClipperLib3.JoinType.jtSquare:
              this.DoSquare(j, k);
              break;
            case ClipperLib3.JoinType.jtRound:
              this.DoRound(j, k);
              break;
          }
        k = j;
        return k;
      };
      ClipperLib3.ClipperOffset.prototype.DoSquare = function(j, k) {
        var dx = Math.tan(Math.atan2(
          this.m_sinA,
          this.m_normals[k].X * this.m_normals[j].X + this.m_normals[k].Y * this.m_normals[j].Y
        ) / 4);
        this.m_destPoly.push(new ClipperLib3.IntPoint2(
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_delta * (this.m_normals[k].X - this.m_normals[k].Y * dx)),
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_delta * (this.m_normals[k].Y + this.m_normals[k].X * dx))
        ));
        this.m_destPoly.push(new ClipperLib3.IntPoint2(
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_delta * (this.m_normals[j].X + this.m_normals[j].Y * dx)),
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_delta * (this.m_normals[j].Y - this.m_normals[j].X * dx))
        ));
      };
      ClipperLib3.ClipperOffset.prototype.DoMiter = function(j, k, r) {
        var q = this.m_delta / r;
        this.m_destPoly.push(new ClipperLib3.IntPoint2(
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + (this.m_normals[k].X + this.m_normals[j].X) * q),
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + (this.m_normals[k].Y + this.m_normals[j].Y) * q)
        ));
      };
      ClipperLib3.ClipperOffset.prototype.DoRound = function(j, k) {
        var a = Math.atan2(
          this.m_sinA,
          this.m_normals[k].X * this.m_normals[j].X + this.m_normals[k].Y * this.m_normals[j].Y
        );
        var steps = Math.max(ClipperLib3.Cast_Int32(ClipperLib3.ClipperOffset.Round(this.m_StepsPerRad * Math.abs(a))), 1);
        var X = this.m_normals[k].X, Y = this.m_normals[k].Y, X2;
        for (var i = 0; i < steps; ++i) {
          this.m_destPoly.push(new ClipperLib3.IntPoint2(
            ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + X * this.m_delta),
            ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + Y * this.m_delta)
          ));
          X2 = X;
          X = X * this.m_cos - this.m_sin * Y;
          Y = X2 * this.m_sin + Y * this.m_cos;
        }
        this.m_destPoly.push(new ClipperLib3.IntPoint2(
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * this.m_delta),
          ClipperLib3.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * this.m_delta)
        ));
      };
      ClipperLib3.Error = function(message) {
        try {
          throw new Error(message);
        } catch (err) {
          alert(err.message);
        }
      };
      ClipperLib3.JS = {};
      ClipperLib3.JS.AreaOfPolygon = function(poly, scale) {
        if (!scale) scale = 1;
        return ClipperLib3.Clipper.Area(poly) / (scale * scale);
      };
      ClipperLib3.JS.AreaOfPolygons = function(poly, scale) {
        if (!scale) scale = 1;
        var area = 0;
        for (var i = 0; i < poly.length; i++) {
          area += ClipperLib3.Clipper.Area(poly[i]);
        }
        return area / (scale * scale);
      };
      ClipperLib3.JS.BoundsOfPath = function(path, scale) {
        return ClipperLib3.JS.BoundsOfPaths([path], scale);
      };
      ClipperLib3.JS.BoundsOfPaths = function(paths, scale) {
        if (!scale) scale = 1;
        var bounds = ClipperLib3.Clipper.GetBounds(paths);
        bounds.left /= scale;
        bounds.bottom /= scale;
        bounds.right /= scale;
        bounds.top /= scale;
        return bounds;
      };
      ClipperLib3.JS.Clean = function(polygon, delta) {
        if (!(polygon instanceof Array)) return [];
        var isPolygons = polygon[0] instanceof Array;
        var polygon = ClipperLib3.JS.Clone(polygon);
        if (typeof delta !== "number" || delta === null) {
          ClipperLib3.Error("Delta is not a number in Clean().");
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
      ClipperLib3.JS.Clone = function(polygon) {
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
      ClipperLib3.JS.Lighten = function(polygon, tolerance) {
        if (!(polygon instanceof Array)) return [];
        if (typeof tolerance !== "number" || tolerance === null) {
          ClipperLib3.Error("Tolerance is not a number in Lighten().");
          return ClipperLib3.JS.Clone(polygon);
        }
        if (polygon.length === 0 || polygon.length === 1 && polygon[0].length === 0 || tolerance < 0) {
          return ClipperLib3.JS.Clone(polygon);
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
      ClipperLib3.JS.PerimeterOfPath = function(path, closed, scale) {
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
      ClipperLib3.JS.PerimeterOfPaths = function(paths, closed, scale) {
        if (!scale) scale = 1;
        var perimeter = 0;
        for (var i = 0; i < paths.length; i++) {
          perimeter += ClipperLib3.JS.PerimeterOfPath(paths[i], closed, scale);
        }
        return perimeter;
      };
      ClipperLib3.JS.ScaleDownPath = function(path, scale) {
        var i, p;
        if (!scale) scale = 1;
        i = path.length;
        while (i--) {
          p = path[i];
          p.X = p.X / scale;
          p.Y = p.Y / scale;
        }
      };
      ClipperLib3.JS.ScaleDownPaths = function(paths, scale) {
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
      ClipperLib3.JS.ScaleUpPath = function(path, scale) {
        var i, p, round = Math.round;
        if (!scale) scale = 1;
        i = path.length;
        while (i--) {
          p = path[i];
          p.X = round(p.X * scale);
          p.Y = round(p.Y * scale);
        }
      };
      ClipperLib3.JS.ScaleUpPaths = function(paths, scale) {
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
      ClipperLib3.ExPolygons = function() {
        return [];
      };
      ClipperLib3.ExPolygon = function() {
        this.outer = null;
        this.holes = null;
      };
      ClipperLib3.JS.AddOuterPolyNodeToExPolygons = function(polynode, expolygons) {
        var ep = new ClipperLib3.ExPolygon();
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
            ClipperLib3.JS.AddOuterPolyNodeToExPolygons(n, expolygons);
          }
        }
        expolygons.push(ep);
      };
      ClipperLib3.JS.ExPolygonsToPaths = function(expolygons) {
        var a, i, alen, ilen;
        var paths = new ClipperLib3.Paths();
        for (a = 0, alen = expolygons.length; a < alen; a++) {
          paths.push(expolygons[a].outer);
          for (i = 0, ilen = expolygons[a].holes.length; i < ilen; i++) {
            paths.push(expolygons[a].holes[i]);
          }
        }
        return paths;
      };
      ClipperLib3.JS.PolyTreeToExPolygons = function(polytree) {
        var expolygons = new ClipperLib3.ExPolygons();
        var node, i, childs, ilen;
        for (i = 0, childs = polytree.Childs(), ilen = childs.length; i < ilen; i++) {
          node = childs[i];
          ClipperLib3.JS.AddOuterPolyNodeToExPolygons(node, expolygons);
        }
        return expolygons;
      };
    })();
  }
});

// node_modules/simplify-js/simplify.js
var require_simplify = __commonJS({
  "node_modules/simplify-js/simplify.js"(exports, module) {
    (function() {
      "use strict";
      function getSqDist(p1, p2) {
        var dx = p1.x - p2.x, dy = p1.y - p2.y;
        return dx * dx + dy * dy;
      }
      function getSqSegDist(p, p1, p2) {
        var x = p1.x, y = p1.y, dx = p2.x - x, dy = p2.y - y;
        if (dx !== 0 || dy !== 0) {
          var t = ((p.x - x) * dx + (p.y - y) * dy) / (dx * dx + dy * dy);
          if (t > 1) {
            x = p2.x;
            y = p2.y;
          } else if (t > 0) {
            x += dx * t;
            y += dy * t;
          }
        }
        dx = p.x - x;
        dy = p.y - y;
        return dx * dx + dy * dy;
      }
      function simplifyRadialDist(points, sqTolerance) {
        var prevPoint = points[0], newPoints = [prevPoint], point;
        for (var i = 1, len = points.length; i < len; i++) {
          point = points[i];
          if (getSqDist(point, prevPoint) > sqTolerance) {
            newPoints.push(point);
            prevPoint = point;
          }
        }
        if (prevPoint !== point) newPoints.push(point);
        return newPoints;
      }
      function simplifyDPStep(points, first, last, sqTolerance, simplified) {
        var maxSqDist = sqTolerance, index;
        for (var i = first + 1; i < last; i++) {
          var sqDist = getSqSegDist(points[i], points[first], points[last]);
          if (sqDist > maxSqDist) {
            index = i;
            maxSqDist = sqDist;
          }
        }
        if (maxSqDist > sqTolerance) {
          if (index - first > 1) simplifyDPStep(points, first, index, sqTolerance, simplified);
          simplified.push(points[index]);
          if (last - index > 1) simplifyDPStep(points, index, last, sqTolerance, simplified);
        }
      }
      function simplifyDouglasPeucker(points, sqTolerance) {
        var last = points.length - 1;
        var simplified = [points[0]];
        simplifyDPStep(points, 0, last, sqTolerance, simplified);
        simplified.push(points[last]);
        return simplified;
      }
      function simplify2(points, tolerance, highestQuality) {
        if (points.length <= 2) return points;
        var sqTolerance = tolerance !== void 0 ? tolerance * tolerance : 1;
        points = highestQuality ? points : simplifyRadialDist(points, sqTolerance);
        points = simplifyDouglasPeucker(points, sqTolerance);
        return points;
      }
      if (typeof define === "function" && define.amd) define(function() {
        return simplify2;
      });
      else if (typeof module !== "undefined") {
        module.exports = simplify2;
        module.exports.default = simplify2;
      } else if (typeof self !== "undefined") self.simplify = simplify2;
      else window.simplify = simplify2;
    })();
  }
});

// src/cli/nest.ts
import { performance as performance2 } from "node:perf_hooks";
import { parseArgs } from "node:util";

// src/core/files/limits.ts
var MOST_BYTES = 1e7;

// src/core/cloth/cloth.ts
var TURN_ANGLES = { any: [0, 90, 180, 270], half: [0, 180], none: [0] };

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
function phaseOf(x, y, lattice) {
  if (lattice.across === 0) return [0, wrap(y, lattice.along)];
  const column = Math.floor(x / lattice.across);
  return [x - column * lattice.across, wrap(y - column * lattice.shift, lattice.along)];
}
var nextAcross = (x, phase, { across }) => across === 0 ? x : x + wrap(phase - x, across);
function nextAlong(x, y, [phaseX, phaseY], lattice) {
  if (lattice.along === 0) return y;
  const column = lattice.across === 0 ? 0 : Math.round((x - phaseX) / lattice.across);
  return y + wrap(phaseY + column * lattice.shift - y, lattice.along);
}
var HARDLY = 2;
function missAcross({ from, to, phase }, lattice) {
  if (to < from) return from - to;
  const first = nextAcross(from, phase, lattice);
  const over = first - to;
  return over <= HARDLY ? 0 : Math.min(over, from - (first - lattice.across));
}

// src/core/lay/check.ts
var import_clipper_lib = __toESM(require_clipper(), 1);

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
var fromUnits = (value, units) => Math.round(value * NM[units]);
var toUnits = (length, units) => length / NM[units];

// src/core/result.ts
var ok = (value) => ({ ok: true, value });
var refuse = (code, field, message) => ({
  ok: false,
  faults: [{ code, field, message }]
});

// src/core/lay/check.ts
var TOLERANCE = { in: 2540, mm: 2540 };
function findFaults(job, plan) {
  const faults = [];
  const tolerance = TOLERANCE[job.units];
  const fault = (kind, what) => faults.push({ kind, what });
  const told = (length) => `${Number(toUnits(length, job.units).toFixed(4))} ${job.units}`;
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  const seen = /* @__PURE__ */ new Map();
  const phases = /* @__PURE__ */ new Map();
  const stripTotals = /* @__PURE__ */ new Map();
  let lastStock = -1;
  for (const lay of plan.lays) {
    const index = job.stock.findIndex(({ id }) => id === lay.stock);
    if (index <= lastStock) fault("stock", `${lay.stock} is not in the job, or out of its order`);
    lastStock = Math.max(index, lastStock);
    const stock = job.stock[index];
    if (!stock) continue;
    const items = [];
    for (const one of lay.placed) {
      const piece = pieces.get(one.piece);
      if (!piece) {
        fault("copies", `${one.piece} is not a piece of the job`);
        continue;
      }
      const item = pieceItem(piece, one, fault);
      items.push(item);
      seen.set(item.label, (seen.get(item.label) ?? 0) + 1);
      checkPhase(job.lattice, stock, piece, one, phases, tolerance, fault);
    }
    const cutCopies = /* @__PURE__ */ new Set();
    for (const cut of lay.cuts) {
      const strip = job.strips.find(({ id }) => id === cut.strip);
      if (!strip) {
        fault("strip", `${cut.strip} is not a strip of the job`);
        continue;
      }
      checkCut(cut, strip, tolerance, fault);
      items.push(toItem(`${cut.strip} ${cut.copy}`, cut.outline));
      const key = `strip ${cut.strip} ${cut.copy}`;
      const sum3 = stripTotals.get(key) ?? { total: strip.loss, loss: strip.loss, length: strip.length };
      sum3.total += cut.length - strip.loss;
      stripTotals.set(key, sum3);
      cutCopies.add(key);
    }
    checkItems(job, stock, items, tolerance, fault);
    const furthest2 = items.reduce((far, { box }) => Math.max(far, box[3]), 0);
    if (Math.abs(furthest2 - lay.used) > tolerance)
      fault("used", `${lay.stock}: ${told(lay.used)} is given, the furthest point is ${told(furthest2)}`);
  }
  for (const { stock, piece, copy, x, y, turn: turn2 } of job.locked) {
    const placed = plan.lays.find((lay) => lay.stock === stock)?.placed ?? [];
    const there = placed.some(
      (one) => one.piece === piece && one.copy === copy && one.x === x && one.y === y && one.turn === turn2
    );
    if (!there) fault("locked", `${piece} ${copy} is not where it is locked`);
  }
  for (const [key, { total, length }] of stripTotals) {
    if (total < length - tolerance) fault("strip", `${key} joins to ${told(total)}, not ${told(length)}`);
    seen.set(key, (seen.get(key) ?? 0) + 1);
  }
  for (const one of plan.unplaced) {
    const key = "piece" in one ? `${one.piece} ${one.copy}` : `strip ${one.strip} ${one.copy}`;
    seen.set(key, (seen.get(key) ?? 0) + 1);
    if (!one.why) fault("copies", `${key} is unplaced without a reason`);
  }
  const wanted = [
    ...job.pieces.flatMap(({ id, qty }) => copiesOf(id, qty)),
    ...job.strips.flatMap(({ id, qty }) => copiesOf(`strip ${id}`, qty))
  ];
  for (const key of wanted) {
    if (seen.get(key) !== 1) fault("copies", `${key} is there ${seen.get(key) ?? 0} times`);
    seen.delete(key);
  }
  for (const key of seen.keys()) fault("copies", `${key} was not asked for`);
  const sum2 = plan.lays.reduce((total, { used }) => total + used, 0);
  if (Math.abs(sum2 - plan.used) > tolerance) fault("used", `the lays sum to ${told(sum2)}, not ${told(plan.used)}`);
  if (!(plan.bound <= plan.used + tolerance) || !(plan.bound >= 0))
    fault("bound", `the bound of ${told(plan.bound)} is not within the used ${told(plan.used)}`);
  return faults;
}
var copiesOf = (id, qty) => Array.from({ length: qty }, (_, i) => `${id} ${i + 1}`);
function toItem(label, corners) {
  const ring = signedArea(corners) < 0 ? [...corners].reverse() : [...corners];
  const xs = ring.map(([x]) => x);
  const ys = ring.map(([, y]) => y);
  return { label, ring, box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)] };
}
function pieceItem(one, { piece, copy, x, y, turn: turn2 }, fault) {
  if (!one.turns.includes(turn2)) fault("turn", `${piece} ${copy} may not lie at turn ${turn2}`);
  const { width: w, height: h } = one;
  const corners = one.outline ?? [[0, 0], [w, 0], [w, h], [0, h]];
  const turned = corners.map(([cx, cy]) => {
    if (turn2 === 90) return [h - cy, cx];
    if (turn2 === 180) return [w - cx, h - cy];
    if (turn2 === 270) return [cy, w - cx];
    return [cx, cy];
  });
  return toItem(`${piece} ${copy}`, turned.map(([cx, cy]) => [x + cx, y + cy]));
}
function checkItems(job, stock, items, tolerance, fault) {
  for (const { label, ring, box } of items) {
    if (box[0] < stock.left - tolerance || box[2] > stock.right + tolerance)
      fault("width", `${label} leaves the usable width of ${stock.id}`);
    if (box[1] < -tolerance || box[3] > stock.length + tolerance)
      fault("length", `${label} leaves the length of ${stock.id}`);
    for (const [x0, y0, x1, y1] of stock.flaws) {
      const flaw = [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1]
      ];
      if (doOverlap(ring, flaw, tolerance)) fault("flaw", `${label} lies on a flaw of ${stock.id}`);
    }
  }
  if (stock.outline) {
    for (const { label, ring } of items) {
      if (clippedArea(ring, stock.outline, import_clipper_lib.default.ClipType.ctDifference) > tolerance * girth(ring))
        fault("outline", `${label} leaves the outline of ${stock.id}`);
    }
  }
  if (job.straight) checkStraight(items, tolerance, fault);
  const sorted = [...items].sort((a, b) => a.box[1] - b.box[1]);
  sorted.forEach((one, i) => {
    for (let j = i + 1; j < sorted.length; j++) {
      const other = sorted[j];
      if (other.box[1] >= one.box[3] + job.gap) break;
      if (other.box[0] >= one.box[2] + job.gap || one.box[0] >= other.box[2] + job.gap) continue;
      if (doOverlap(one.ring, other.ring, tolerance)) fault("overlap", `${one.label} and ${other.label} overlap`);
      else if (job.gap > 0 && distance(one.ring, other.ring) < job.gap - tolerance)
        fault("gap", `${one.label} and ${other.label} are too close`);
    }
  });
}
var signedArea = (ring) => ring.reduce((sum2, [x, y], i) => sum2 + x * ring[(i + 1) % ring.length][1] - ring[(i + 1) % ring.length][0] * y, 0) / 2;
function girth(ring) {
  const { box } = toItem("", ring);
  return (box[2] - box[0] + box[3] - box[1]) / 2;
}
var isConvex = (ring) => ring.every(([bx, by], i) => {
  const [ax, ay] = ring[(i + ring.length - 1) % ring.length];
  const [cx, cy] = ring[(i + 1) % ring.length];
  return (bx - ax) * (cy - by) - (by - ay) * (cx - bx) >= 0;
});
function doOverlap(a, b, tolerance) {
  if (isConvex(a) && isConvex(b)) return separation(a, b) < -tolerance;
  return clippedArea(a, b, import_clipper_lib.default.ClipType.ctIntersection) > tolerance * Math.min(girth(a), girth(b));
}
var CLIPPED_QUICKLY = 4e7;
var COARSEST = 200;
function clippedArea(subject, clip, type) {
  const { box } = toItem("", subject);
  const [left, low] = [Math.min(box[0], clip[0][0]), Math.min(box[1], clip[0][1])];
  const far = [...subject, ...clip].reduce((most, [x, y]) => Math.max(most, Math.abs(x - left), Math.abs(y - low)), 1);
  const step = Math.max(1, Math.min(COARSEST, Math.ceil(far / CLIPPED_QUICKLY)));
  const path = (ring) => ring.map(([x, y]) => ({ X: Math.round((x - left) / step), Y: Math.round((y - low) / step) }));
  const clipper = new import_clipper_lib.default.Clipper();
  clipper.AddPath(path(subject), import_clipper_lib.default.PolyType.ptSubject, true);
  clipper.AddPath(path(clip), import_clipper_lib.default.PolyType.ptClip, true);
  const solution = [];
  clipper.Execute(type, solution);
  return Math.abs(solution.reduce((sum2, one) => sum2 + import_clipper_lib.default.Clipper.Area(one), 0)) * step ** 2;
}
function checkStraight(items, tolerance, fault) {
  const groups = [items];
  while (groups.length > 0) {
    const group = groups.pop();
    if (group.length < 2) continue;
    const parts = firstDivision(group, tolerance);
    if (parts) groups.push(...parts);
    else
      fault(
        "straight",
        `no straight cut divides ${group.slice(0, 4).map(({ label }) => label).join(", ")}`
      );
  }
}
function firstDivision(group, tolerance) {
  const tried = /* @__PURE__ */ new Set();
  for (const { ring } of group) {
    for (let i = 0; i < ring.length; i++) {
      const [x0, y0] = ring[i];
      const [x1, y1] = ring[(i + 1) % ring.length];
      const angle = (Math.atan2(y1 - y0, x1 - x0) + Math.PI) % Math.PI;
      const key = Math.round(angle / Math.PI * 1e7) % 1e7;
      if (tried.has(key)) continue;
      tried.add(key);
      const [nx, ny] = [-Math.sin(angle), Math.cos(angle)];
      const spans = group.map((item) => {
        const depths = item.ring.map(([x, y]) => x * nx + y * ny);
        return { item, from: Math.min(...depths), to: Math.max(...depths) };
      }).sort((a, b) => a.from - b.from);
      const parts = [[]];
      let reach = spans[0].from;
      for (const { item, from, to } of spans) {
        if (parts.at(-1).length > 0 && from >= reach - tolerance) parts.push([]);
        parts.at(-1).push(item);
        reach = Math.max(reach, to);
      }
      if (parts.length > 1) return parts;
    }
  }
  return null;
}
function separation(a, b) {
  let widest2 = -Infinity;
  for (const [one, other] of [
    [a, b],
    [b, a]
  ]) {
    one.forEach(([x0, y0], i) => {
      const [x1, y1] = one[(i + 1) % one.length];
      const [nx, ny] = [y1 - y0, x0 - x1];
      const size = Math.hypot(nx, ny);
      const least = Math.min(...other.map(([x, y]) => ((x - x0) * nx + (y - y0) * ny) / size));
      widest2 = Math.max(widest2, least);
    });
  }
  return widest2;
}
function distance(a, b) {
  let nearest = Infinity;
  for (const [one, other] of [
    [a, b],
    [b, a]
  ]) {
    for (const [px, py] of one) {
      other.forEach(([x0, y0], i) => {
        const [x1, y1] = other[(i + 1) % other.length];
        const [dx, dy] = [x1 - x0, y1 - y0];
        const t = Math.max(0, Math.min(1, ((px - x0) * dx + (py - y0) * dy) / (dx * dx + dy * dy)));
        nearest = Math.min(nearest, Math.hypot(px - x0 - t * dx, py - y0 - t * dy));
      });
    }
  }
  return nearest;
}
function checkPhase(lattice, stock, { match }, { piece, copy, x, y }, phases, tolerance, fault) {
  if (!match || !lattice) return;
  const label = `${piece} ${copy}`;
  const point = [
    x + match.anchor[0] - match.offset[0] - stock.motif[0],
    y + match.anchor[1] - match.offset[1] - stock.motif[1]
  ];
  const first = match.group === null ? { point: [0, 0], label: "the pattern" } : phases.get(match.group) ?? { point, label };
  if (match.group !== null) phases.set(match.group, first);
  const dx = point[0] - first.point[0];
  const dy = point[1] - first.point[1];
  const columns = lattice.across > 0 ? Math.round(dx / lattice.across) : 0;
  const restX = lattice.across > 0 ? dx - columns * lattice.across : 0;
  const dropped = dy - columns * lattice.shift;
  const restY = lattice.along > 0 ? dropped - Math.round(dropped / lattice.along) * lattice.along : 0;
  if (Math.abs(restX) > tolerance || Math.abs(restY) > tolerance)
    fault("phase", `${piece} ${copy} is off the phase of ${first.label}`);
}
var DIRECTIONS = { across: [0], along: [90], bias: [45, 135] };
function checkCut(cut, strip, tolerance, fault) {
  const [a, b, c, d] = cut.outline;
  const label = `${cut.strip} ${cut.copy}`;
  if (Math.abs(a[0] - b[0] + c[0] - d[0]) > 2 * tolerance || Math.abs(a[1] - b[1] + c[1] - d[1]) > 2 * tolerance) {
    fault("strip", `${label}: a cut is not a parallelogram`);
    return;
  }
  const fits = ([from, to, beside]) => {
    const [ex, ey] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(ex, ey);
    const width = Math.abs(ex * (beside[1] - from[1]) - ey * (beside[0] - from[0])) / long;
    const off = Math.min(
      ...DIRECTIONS[strip.grain].map(
        (angle) => Math.abs(ey * Math.cos(angle * Math.PI / 180) - ex * Math.sin(angle * Math.PI / 180))
      )
    );
    return off <= tolerance && Math.abs(width - strip.width) <= tolerance && Math.abs(long - cut.length) <= tolerance;
  };
  if (!fits([a, b, d]) && !fits([b, c, a]))
    fault("strip", `${label}: a cut has not the strip\u2019s grain, width or length`);
  if (cut.length < strip.least - tolerance) fault("strip", `${label}: a cut is shorter than the least`);
}

// src/core/lay/format-names.ts
var JOB_FORMAT = "jolly-bolt/lay-job";
var PLAN_FORMAT = "jolly-bolt/lay-plan";
var FORMAT_VERSION = 1;

// src/core/lay/outline.ts
function doubleArea(ring) {
  let sum2 = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++)
    sum2 += ring[j][0] * ring[i][1] - ring[i][0] * ring[j][1];
  return sum2;
}
var areaOfPiece = ({ outline, width, height }) => outline ? Math.abs(doubleArea(outline)) / 2 : width * height;
function girthIfConvex(ring) {
  const at = (i) => ring[i % ring.length];
  const turns = ring.map((_, i) => side(at(i), at(i + 1), at(i + 2)));
  if (turns.some((turn2) => turn2 > 0) && turns.some((turn2) => turn2 < 0)) return null;
  return ring.reduce((sum2, [x, y], i) => sum2 + Math.hypot(at(i + 1)[0] - x, at(i + 1)[1] - y), 0);
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
function turnOutline(ring, turn2) {
  const turned = ring.map(([x, y]) => {
    if (turn2 === 90) return [-y, x];
    if (turn2 === 180) return [-x, -y];
    return turn2 === 270 ? [y, -x] : [x, y];
  });
  const [left, low] = [Math.min(...turned.map(([x]) => x)), Math.min(...turned.map(([, y]) => y))];
  return turned.map(([x, y]) => [x - left, y - low]);
}
var SLABS = 96;
function boxesOutside(ring, left, right, length) {
  const ys = ring.map(([, y]) => y);
  const top = Math.min(length, Math.max(...ys));
  const bottom = Math.max(0, Math.min(...ys));
  const stops = stopsOf(ys, bottom, top);
  const boxes = [];
  if (bottom > 0) boxes.push([left, 0, right, bottom]);
  const far = length === Infinity ? top * 2 + 1 : length;
  if (top < far) boxes.push([left, top, right, far]);
  for (let i = 1; i < stops.length; i++) {
    const [y0, y1] = [stops[i - 1], stops[i]];
    let x = left;
    for (const [from, to] of insideSpans(ring, y0, y1)) {
      if (from > x) boxes.push([x, y0, Math.min(from, right), y1]);
      x = Math.max(x, to);
    }
    if (x < right) boxes.push([x, y0, right, y1]);
  }
  return boxes;
}
function boxesWithin(ring) {
  const ys = ring.map(([, y]) => y);
  const [bottom, top] = [Math.min(...ys), Math.max(...ys)];
  const stops = stopsOf(ys, bottom, top);
  return stops.slice(1).flatMap((y1, i) => {
    const y0 = stops[i];
    return crossingsOf(ring, y0, y1).reduce((spans, { low, high }, k) => {
      if (k % 2 === 0) spans.push([low, high]);
      else spans.at(-1)[1] = high;
      return spans;
    }, []).map(([x0, x1]) => [Math.floor(x0), y0, Math.ceil(x1), y1]);
  });
}
var stopsOf = (ys, bottom, top) => [
  .../* @__PURE__ */ new Set([
    bottom,
    top,
    ...ys,
    ...Array.from({ length: SLABS + 1 }, (_, i) => Math.round(bottom + (top - bottom) * i / SLABS))
  ])
].filter((y) => y >= bottom && y <= top).sort((a, b) => a - b);
function insideSpans(ring, y0, y1) {
  const crossings = crossingsOf(ring, y0, y1);
  const spans = [];
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    const [from, to] = [Math.ceil(crossings[i].high), Math.floor(crossings[i + 1].low)];
    if (to > from) spans.push([from, to]);
  }
  return spans;
}
function crossingsOf(ring, y0, y1) {
  const middle = (y0 + y1) / 2;
  const crossings = [];
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[j];
    const [bx, by] = ring[i];
    if (ay > middle === by > middle) continue;
    const xAt = (y) => ax + (bx - ax) * (y - ay) / (by - ay);
    const ends = [xAt(y0), xAt(y1)];
    crossings.push({ at: xAt(middle), low: Math.min(...ends), high: Math.max(...ends) });
  }
  return crossings.sort((a, b) => a.at - b.at);
}

// src/core/lay/reader.ts
var LARGEST = 1e6;
var MOST_CORNERS = 2e3;
var Refusal = class extends Error {
  constructor(field, message) {
    super(message);
    this.field = field;
  }
  field;
};
function reading(code, read) {
  try {
    return ok(read());
  } catch (error) {
    if (error instanceof Refusal) return refuse(code, error.field, `${error.field}: ${error.message}`);
    throw error;
  }
}
var Reader = class {
  constructor(units) {
    this.units = units;
  }
  units;
  any(value, field) {
    return fromUnits(number(value, field), this.units);
  }
  length(value, field) {
    if (number(value, field) < 0) no(field, value, "zero or more");
    return this.any(value, field);
  }
  positive(value, field) {
    if (number(value, field) <= 0) no(field, value, "more than zero");
    return Math.max(1, this.any(value, field));
  }
  point(value, field) {
    const [x, y] = pair(value, field);
    return [this.any(x, field), this.any(y, field)];
  }
  size(value, field) {
    const [x, y] = pair(value, field);
    return [this.positive(x, `${field}[0]`), this.positive(y, `${field}[1]`)];
  }
  selvage(value, width, field) {
    const [left, right] = pair(value, field).map((side2, i) => this.length(side2, `${field}[${i}]`));
    if (left + right >= width) no(field, value, "narrower together than the width");
    return [left, right];
  }
  outline(value, field) {
    const ring = list(value, field);
    if (ring.length < 3) no(field, value, "an outline of at least 3 corners");
    if (ring.length > MOST_CORNERS) throw new Refusal(field, `${ring.length} corners are more than ${MOST_CORNERS}`);
    const points = ring.map((corner, i) => this.point(corner, `${field}[${i}]`));
    if (!isSimple(points)) no(field, value, "a simple outline: it crosses or touches itself");
    return points;
  }
};
function no(field, value, wanted) {
  throw new Refusal(field, `${shown(value)} is not ${wanted}`);
}
function shown(value) {
  if (value === void 0) return "nothing";
  if (typeof value === "object" && value !== null) {
    const flat = Array.isArray(value) && value.length <= 8 && value.every((one) => typeof one !== "object" || one === null);
    if (!flat) return Array.isArray(value) ? "this list" : "this object";
  }
  const text = JSON.stringify(value) ?? String(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}
function object(value, field) {
  if (typeof value !== "object" || value === null || Array.isArray(value)) no(field, value, "an object");
  return value;
}
function list(value, field) {
  if (!Array.isArray(value)) no(field, value, "a list");
  return value;
}
function number(value, field) {
  if (typeof value !== "number" || !(Math.abs(value) <= LARGEST)) no(field, value, "a number of at most 1000000");
  return value;
}
function quantity(value, field) {
  if (!Number.isInteger(value) || value < 1) no(field, value, "a whole number from 1");
  return value;
}
function name(value, field) {
  if (typeof value !== "string" || value === "") no(field, value, "a name");
  return value;
}
function oneOf(value, allowed, field) {
  if (!allowed.includes(value)) no(field, value, `one of ${allowed.join(", ")}`);
  return value;
}
function pair(value, field) {
  if (!Array.isArray(value) || value.length !== 2) no(field, value, "a pair of numbers");
  return value;
}

// src/core/lay/job.ts
var endlessOf = (stock) => stock.findIndex(({ length }) => length === Infinity);
var MOST_COPIES = 1e4;
var GRAINS = ["bias", "across", "along"];
function readJob(json) {
  return reading("lay-job", () => readWhole(json));
}
function readWhole(json) {
  const job = object(json, "job");
  if (job.format !== JOB_FORMAT) no("format", job.format, `"${JOB_FORMAT}"`);
  if (job.version !== FORMAT_VERSION) no("version", job.version, String(FORMAT_VERSION));
  const units = oneOf(job.units, ["in", "mm"], "units");
  const read = new Reader(units);
  const cloth = object(job.cloth, "cloth");
  const width = read.positive(cloth.width, "cloth.width");
  const selvage = read.selvage(cloth.selvage ?? [0, 0], width, "cloth.selvage");
  const turns = oneOf(cloth.turns, ["any", "half", "none"], "cloth.turns");
  const lattice = readLattice(read, cloth.repeat);
  const stock = readStock(read, job.stock, width, selvage);
  for (const field of ["pieces", "strips"]) {
    const count = list(job[field] ?? [], field).length;
    if (count > MOST_COPIES) throw new Refusal(field, `${count} copies in all are more than ${MOST_COPIES}`);
  }
  const pieces = list(job.pieces ?? [], "pieces").map((one, i) => readPiece(read, one, `pieces[${i}]`, turns, lattice));
  const strips = list(job.strips ?? [], "strips").map((one, i) => readStrip(read, one, `strips[${i}]`));
  if (pieces.length + strips.length === 0)
    throw new Refusal("pieces", "there is nothing to cut, neither a piece nor a strip");
  uniqueIds(pieces, "pieces");
  uniqueIds(strips, "strips");
  const copies = [...pieces, ...strips].reduce((sum2, { qty }) => sum2 + qty, 0);
  if (copies > MOST_COPIES) throw new Refusal("qty", `${copies} copies in all are more than ${MOST_COPIES}`);
  const whole = {
    units,
    clothName: typeof cloth.name === "string" ? cloth.name : "",
    lattice,
    stock,
    gap: read.length(job.gap ?? 0, "gap"),
    straight: oneOf(job.cut ?? "free", ["free", "straight"], "cut") === "straight",
    pieces,
    strips,
    locked: list(job.placed ?? [], "placed").map((one, i) => readLocked(read, one, `placed[${i}]`, stock, pieces)),
    search: readSearch(job.search)
  };
  checkLocked(whole);
  return whole;
}
function readLocked(read, value, field, stock, pieces) {
  const one = object(value, field);
  const length = one.stock === void 0 ? stock.at(-1) : stock.find(({ id }) => id === one.stock);
  if (!length) no(`${field}.stock`, one.stock, "the id of a stock length");
  const piece = pieces.find(({ id }) => id === one.piece);
  if (!piece) no(`${field}.piece`, one.piece, "the id of a piece");
  const copy = quantity(one.copy ?? 1, `${field}.copy`);
  if (copy > piece.qty) no(`${field}.copy`, copy, `one of the ${piece.qty} copies of ${JSON.stringify(piece.id)}`);
  const turn2 = one.turn ?? 0;
  if (!piece.turns.includes(turn2)) no(`${field}.turn`, turn2, `one of ${piece.turns.join(", ")}`);
  return {
    stock: length.id,
    piece: piece.id,
    copy,
    x: read.any(one.x, `${field}.x`),
    y: read.any(one.y, `${field}.y`),
    turn: turn2
  };
}
function checkLocked(job) {
  if (job.locked.length === 0) return;
  const seen = /* @__PURE__ */ new Set();
  job.locked.forEach(({ piece, copy }, i) => {
    const key = `${copy} ${piece}`;
    if (seen.has(key))
      throw new Refusal(`placed[${i}].copy`, `copy ${copy} of ${JSON.stringify(piece)} is there twice`);
    seen.add(key);
  });
  const lays = job.stock.flatMap(({ id }) => {
    const placed = job.locked.filter(({ stock }) => stock === id);
    return placed.length > 0 ? [{ stock: id, used: 0, placed, cuts: [] }] : [];
  });
  const plan = { lays, unplaced: [], used: 0, endless: 0, bound: 0, passes: 0, refused: 0 };
  const fault = findFaults(job, plan).find(({ kind }) => !["copies", "used", "bound"].includes(kind));
  if (fault) throw new Refusal("placed", fault.what);
}
function readSearch(value) {
  const { seconds = 5, seed = 1 } = value === void 0 ? {} : object(value, "search");
  const time = number(seconds, "search.seconds");
  if (time < 0) no("search.seconds", seconds, "zero or more");
  if (!Number.isSafeInteger(seed)) no("search.seed", seed, "a whole number");
  return { seconds: time, seed };
}
function readLattice(read, value) {
  if (value === void 0) return null;
  const repeat = object(value, "cloth.repeat");
  const drop = number(repeat.drop ?? 0, "cloth.repeat.drop");
  if (drop < 0 || drop >= 1) no("cloth.repeat.drop", repeat.drop, "at least 0 and less than 1");
  const across = read.length(repeat.across, "cloth.repeat.across");
  return latticeOf({ across, along: read.length(repeat.along, "cloth.repeat.along"), drop });
}
function readStock(read, value, width, selvage) {
  if (value === void 0) return [readLength(read, { id: "roll" }, "stock", width, selvage)];
  const lengths = list(value, "stock").map((one, i) => readLength(read, one, `stock[${i}]`, width, selvage));
  if (lengths.length === 0) throw new Refusal("stock", "[] has no length of cloth");
  uniqueIds(lengths, "stock");
  const endless = endlessOf(lengths);
  if (endless >= 0 && endless < lengths.length - 1)
    throw new Refusal(`stock[${endless}].length`, "only the last length may be endless");
  return lengths;
}
function readLength(read, value, field, clothWidth, clothSelvage) {
  const one = object(value, field);
  const own = one.width !== void 0;
  const width = own ? read.positive(one.width, `${field}.width`) : clothWidth;
  const fallback = own ? [0, 0] : clothSelvage;
  const selvage = one.selvage === void 0 ? fallback : read.selvage(one.selvage, width, `${field}.selvage`);
  return {
    id: name(one.id, `${field}.id`),
    length: one.length === void 0 ? Infinity : read.positive(one.length, `${field}.length`),
    left: selvage[0],
    right: width - selvage[1],
    motif: read.point(one.motif ?? [0, 0], `${field}.motif`),
    flaws: list(one.flaws ?? [], `${field}.flaws`).map((flaw, i) => readFlaw(read, flaw, `${field}.flaws[${i}]`)),
    outline: one.outline === void 0 ? null : read.outline(one.outline, `${field}.outline`)
  };
}
function readFlaw(read, value, field) {
  if (!Array.isArray(value) || value.length !== 4) no(field, value, "[x, y, width, length]");
  const [x, y] = [read.any(value[0], field), read.any(value[1], field)];
  return [x, y, x + read.positive(value[2], field), y + read.positive(value[3], field)];
}
function readPiece(read, value, field, clothTurns, lattice) {
  const piece = object(value, field);
  if (piece.size === void 0 === (piece.outline === void 0))
    throw new Refusal(field, "exactly one of size and outline is needed");
  const outline = piece.outline === void 0 ? null : read.outline(piece.outline, `${field}.outline`);
  const [width, height] = outline ? boxOf(outline, piece.outline, `${field}.outline`) : read.size(piece.size, `${field}.size`);
  const ownTurns = oneOf(piece.turns ?? "any", ["any", "half", "none"], `${field}.turns`);
  const match = lattice && piece.match !== void 0 ? readMatch(read, piece.match, `${field}.match`, [width / 2, height / 2]) : null;
  return {
    id: name(piece.id, `${field}.id`),
    qty: quantity(piece.qty ?? 1, `${field}.qty`),
    width,
    height,
    outline,
    turns: match ? [0] : TURN_ANGLES[clothTurns].filter((turn2) => TURN_ANGLES[ownTurns].includes(turn2)),
    match
  };
}
function boxOf(outline, given, field) {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  if (Math.min(...xs) !== 0 || Math.min(...ys) !== 0) no(field, given, "an outline whose box starts at [0, 0]");
  return [Math.max(...xs), Math.max(...ys)];
}
function readMatch(read, value, field, centre) {
  const match = object(value, field);
  if (match.at === void 0 === (match.group === void 0))
    throw new Refusal(field, "exactly one of at and group is needed");
  const anchor = match.anchor === void 0 ? centre : read.point(match.anchor, `${field}.anchor`);
  if (match.at !== void 0) return { anchor, offset: read.point(match.at, `${field}.at`), group: null };
  const offset = match.delta === void 0 ? [0, 0] : read.point(match.delta, `${field}.delta`);
  return { anchor, offset, group: name(match.group, `${field}.group`) };
}
function readStrip(read, value, field) {
  const strip = object(value, field);
  return {
    id: name(strip.id, `${field}.id`),
    qty: quantity(strip.qty ?? 1, `${field}.qty`),
    width: read.positive(strip.width, `${field}.width`),
    length: read.positive(strip.length, `${field}.length`),
    grain: oneOf(strip.grain, GRAINS, `${field}.grain`),
    loss: read.length(strip.loss ?? 0, `${field}.loss`),
    least: read.length(strip.least ?? 0, `${field}.least`)
  };
}
function uniqueIds(things, field) {
  const seen = /* @__PURE__ */ new Set();
  for (const { id } of things) {
    if (seen.has(id)) throw new Refusal(field, `the id ${JSON.stringify(id)} is there twice`);
    seen.add(id);
  }
}

// src/core/lay/plan.ts
function planToJson(plan, units) {
  const out = (length) => toUnits(length, units);
  return {
    format: PLAN_FORMAT,
    version: FORMAT_VERSION,
    units,
    lays: plan.lays.map(({ stock, used, placed, cuts }) => ({
      stock,
      used: out(used),
      placed: placed.map(({ piece, copy, x, y, turn: turn2 }) => ({ piece, copy, x: out(x), y: out(y), turn: turn2 })),
      cuts: cuts.map(({ strip, copy, length, outline }) => ({
        strip,
        copy,
        length: out(length),
        outline: outline.map(([x, y]) => [out(x), out(y)])
      }))
    })),
    unplaced: plan.unplaced,
    totals: { used: out(plan.used), bound: out(plan.bound) }
  };
}

// src/core/lay/chains.ts
var HARDLY2 = 5080;
var MOST_KINDS = 60;
var MOST_SEEDS = 12;
function chainBound(job, links) {
  const some = links.filter(({ qty }) => qty > 0).sort((a, b) => b.qty * b.height - a.qty * a.height).slice(0, MOST_KINDS);
  let best = 0;
  for (const seed of some.slice(0, MOST_SEEDS)) {
    const chain = [];
    for (const link of [seed, ...some.filter((one) => one !== seed)]) {
      const isApart = chain.every((other) => !canBeBeside(job, link, other));
      if (isApart) chain.push(canBeBeside(job, link, link) ? { ...link, qty: 1 } : link);
    }
    best = Math.max(best, lengthOf(job, chain));
  }
  return best;
}
var isBound = (one, other) => one.match !== null && other.match !== null && one.match.group === other.match.group;
function canBeBeside(job, one, other) {
  const { lattice, stock } = job;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const across = isBound(one, other) ? lattice?.across ?? 0 : 0;
  const reach = (a, b) => {
    const wait = across > 0 ? further(shiftOf(b, 0) - shiftOf(a, 0) - a.width, across) : 0;
    return a.width + wait + b.width;
  };
  return Math.min(reach(one, other), reach(other, one)) <= usable + HARDLY2;
}
var shiftOf = ({ match }, axis) => match.offset[axis] - match.anchor[axis];
function further(by, repeat) {
  const rest = wrap(by, repeat);
  return rest > repeat - HARDLY2 ? 0 : rest;
}
function between({ gap, lattice }, one, other) {
  if (!isBound(one, other) || !lattice || lattice.along === 0) return 0;
  const [across, along] = [shiftOf(other, 0) - shiftOf(one, 0), shiftOf(other, 1) - shiftOf(one, 1)];
  return inAnyColumn(lattice, along - one.height - gap, across, -other.width, one.width);
}
function waitBehind(job, link, links) {
  const others = links.filter((other) => other !== link || link.qty > 1);
  return others.length > 0 ? Math.min(...others.map((other) => between(job, link, other))) : 0;
}
function waitBefore({ lattice, stock }, link) {
  if (!link.match || link.match.group !== null || !lattice || lattice.along === 0) return 0;
  const starts = stock.map(
    ({ motif, left, right }) => inAnyColumn(lattice, motif[1] + shiftOf(link, 1), motif[0] + shiftOf(link, 0), left, right)
  );
  return Math.min(...starts);
}
function inAnyColumn({ across, along, shift }, by, x, low, high) {
  if (across === 0 || shift === 0) return further(by, along);
  let least = along;
  for (let column = Math.ceil((low - x) / across); x + column * across <= high; column++)
    least = Math.min(least, further(by + column * shift, along));
  return least === along ? 0 : least;
}
function lengthOf(job, chain) {
  let [length, most] = [0, 0];
  for (const link of chain) {
    const least = waitBehind(job, link, chain);
    length += link.qty * (link.height + job.gap + least);
    most = Math.max(most, least);
  }
  const first = Math.min(...chain.map((link) => waitBefore(job, link)));
  return Math.max(0, first + length - job.stock.length * (job.gap + most));
}

// src/core/lay/kinds.ts
var partWays = ({ width, height, turns }, gap) => turns.map(
  (turn2) => turn2 === 0 ? { w: width + gap, h: height + gap, turned: 0 } : { w: height + gap, h: width + gap, turned: 1 }
);
function gatherKinds({ gap, lattice }, parts) {
  const kinds = [];
  const groups = /* @__PURE__ */ new Map();
  const known = /* @__PURE__ */ new Map();
  parts.forEach((part, i) => {
    const { width, height, turns, match } = part;
    const asked = match ? [match.group, ...match.anchor, ...match.offset].join(" ") : "";
    const key = `${width} ${height} ${turns.join()} ${asked}`;
    let kind = known.get(key);
    if (!kind) {
      const shift = match ? [match.anchor[0] - match.offset[0], match.anchor[1] - match.offset[1]] : [0, 0];
      if (match?.group && !groups.has(match.group)) groups.set(match.group, groups.size);
      kind = {
        ways: partWays(part, gap),
        members: [],
        fixed: match && match.group === null && lattice ? phaseOf(-shift[0], -shift[1], lattice) : null,
        group: match?.group ? groups.get(match.group) : -1,
        shift
      };
      known.set(key, kind);
      kinds.push(kind);
    }
    kind.members.push(i);
  });
  return { kinds, groups: groups.size };
}
var greatestCommon = (a, b) => b === 0 ? a : greatestCommon(b, a % b);
var FINEST = 2e4;
function subsetSums(kinds, most, step, side2) {
  const n = Math.floor(most / step);
  if (n > FINEST) return null;
  const reached = new Uint8Array(n + 1);
  reached[0] = 1;
  for (const { ways, members } of kinds) {
    const sides = ways.map(side2);
    for (let copy = 0; copy < members.length && copy * Math.min(...sides) <= most; copy++) {
      for (let u = n; u > 0; u--)
        if (!reached[u] && sides.some((one) => u * step >= one && reached[u - one / step])) reached[u] = 1;
    }
  }
  return reached;
}
function layOf(last, kinds, count, on, left) {
  const lay = {
    placed: 0,
    stock: new Int32Array(count).fill(-1),
    x: new Float64Array(count),
    y: new Float64Array(count),
    turned: new Uint8Array(count)
  };
  const next = kinds.map(() => 0);
  for (let state = last; state?.way; state = state.parent, lay.placed++) {
    const part = kinds[state.kind].members[next[state.kind]++];
    lay.stock[part] = on;
    lay.x[part] = left + state.px;
    lay.y[part] = state.py;
    lay.turned[part] = state.way.turned;
  }
  return lay;
}

// src/core/lay/lines.ts
var FINEST2 = 3e3;
var MOST_WORK = 1e7;
var MOST_DRIFT = 1e6;
var MOST_ROWS = 120;
var NEAR_ENOUGH = 1 - 2e-4;
var EPSILON = 1e-9;
var SCALE = 1e9;
function linesBound(things, loose, length, known = 0, isOver = () => false) {
  const line = gridOf(things, length);
  const rows = things.length + (loose > 0n ? 1 : 0);
  if (rows === 0 || rows > MOST_ROWS) return 0;
  const amounts = [...things.map(({ qty }) => qty), ...loose > 0n ? [Number(loose)] : []];
  const prices = pricesOf(line, amounts, things.length, known, isOver);
  if (!prices) return 0;
  return priced(line, things, loose, prices);
}
function mostAbreast(things, length) {
  const line = gridOf(things, length);
  const { value } = dearest(line, line.ways.map(() => 1), 0);
  return Math.max(1, value);
}
function gridOf(things, length) {
  const sizes = things.flatMap(
    ({ ways }) => ways.flatMap(({ side: side2, starts }) => [side2, ...starts ? [starts.first, starts.period] : []])
  );
  const common = sizes.reduce(greatestCommon, length);
  const isFine = length / common <= FINEST2;
  const step = isFine ? common : Math.ceil(length / FINEST2);
  const steps = Math.ceil(length / step);
  const all = things.flatMap(({ ways }, thing) => ways.map((way) => ({ ...way, thing })));
  const period = all.find(({ starts }) => starts?.drifts)?.starts?.period ?? 0;
  const canDrift = period > 0 && isFine && steps * all.length * (period / step) <= MOST_DRIFT;
  return {
    steps,
    step,
    drift: canDrift ? period / step : 1,
    ways: all.map(({ thing, side: side2, cover, starts }) => {
      const isKept = isFine && starts !== null && (canDrift || !starts.drifts);
      return {
        thing,
        side: Math.floor(side2 / step),
        cover,
        first: isKept ? starts.first / step : 0,
        period: isKept ? starts.period / step : 1,
        drifts: isKept && starts.drifts === true
      };
    })
  };
}
function dearest(line, values, perStep) {
  const used = line.ways.flatMap((way, i) => values[i] > 0 ? [{ ...way, i, value: values[i] }] : []);
  let best = dearestAt(line, used, perStep);
  for (let moved = 1; moved < line.drift; moved++) {
    for (const way of used) if (way.drifts) way.first++;
    const other = dearestAt(line, used, perStep);
    if (other.value > best.value) best = other;
  }
  return best;
}
function dearestAt({ steps, ways }, used, perStep) {
  const best = new Float64Array(steps + 1);
  const choice = new Int32Array(steps + 1).fill(-1);
  for (let at = 0; at <= steps; at++) {
    if (at > 0) {
      const skipped = best[at - 1] + perStep;
      if (skipped > best[at] || choice[at] === -1) {
        best[at] = skipped;
        choice[at] = -1;
      }
    }
    for (const { i, side: side2, first, period, value } of used) {
      const end = at + side2;
      if (end > steps || best[at] + value <= best[end]) continue;
      if (period === 1 || (at - first) % period === 0) {
        best[end] = best[at] + value;
        choice[end] = i;
      }
    }
  }
  const taken = [];
  let empty = 0;
  for (let at = steps; at > 0; ) {
    const i = choice[at];
    if (i === -1) {
      empty++;
      at--;
    } else {
      taken.push(i);
      at -= ways[i].side;
    }
  }
  return { value: best[steps], taken, empty };
}
function pricesOf(line, amounts, things, known, isOver) {
  const { ways, steps, step } = line;
  const m = amounts.length;
  const hasLoose = m > things;
  const inverse = Array.from({ length: m }, () => new Float64Array(m));
  const level2 = new Float64Array(m);
  for (let r = 0; r < m; r++) {
    const own = ways.map(({ thing, cover }) => thing === r ? 1 / cover : 0);
    const alone = r < things ? dearest(line, own, 0).value || Math.max(...own) : steps * step;
    inverse[r][r] = 1 / alone;
    level2[r] = amounts[r] / alone;
  }
  const costs = new Float64Array(m).fill(1);
  const prices = new Float64Array(m);
  const proving = new Float64Array(m);
  let proven = 0;
  for (let work = 0; work < MOST_WORK && !isOver(); work += steps * ways.length * line.drift + m * m) {
    prices.fill(0);
    let needed = 0;
    for (let r = 0; r < m; r++) {
      if (costs[r] === 0) continue;
      needed += level2[r];
      for (let k = 0; k < m; k++) prices[k] += inverse[r][k];
    }
    if (needed <= known / NEAR_ENOUGH) return null;
    const entering = new Float64Array(m);
    let cost = 0;
    const negative = prices.findIndex((price, r) => price * amounts[r] < -1);
    if (negative >= 0) entering[negative] = -1;
    else {
      const values = ways.map(({ thing, cover }) => prices[thing] / cover);
      const found = dearest(line, values, hasLoose ? prices[things] * step : 0);
      if (needed / found.value > proven) {
        proven = needed / found.value;
        for (let r = 0; r < m; r++) proving[r] = Math.max(0, prices[r]);
      }
      if (found.value <= 1 / NEAR_ENOUGH) break;
      for (const i of found.taken) entering[ways[i].thing] += 1 / ways[i].cover;
      if (hasLoose) entering[things] = found.empty * step;
      cost = 1;
    }
    const filled = [...entering.keys()].filter((k) => entering[k] !== 0);
    const change = inverse.map((row) => {
      let sum2 = 0;
      for (const k of filled) sum2 += row[k] * entering[k];
      return sum2;
    });
    let leaving = -1;
    let ratio = Infinity;
    for (let r = 0; r < m; r++) {
      if (change[r] <= EPSILON) continue;
      const one = level2[r] / change[r];
      if (one < ratio) [ratio, leaving] = [one, r];
    }
    if (leaving < 0) break;
    pivot(inverse, level2, change, leaving);
    costs[leaving] = cost;
  }
  return proving;
}
function pivot(inverse, level2, change, leaving) {
  const row = inverse[leaving];
  const by = change[leaving];
  for (let k = 0; k < row.length; k++) row[k] /= by;
  level2[leaving] /= by;
  const filled = [...row.keys()].filter((k) => row[k] !== 0);
  inverse.forEach((other, r) => {
    const factor = change[r];
    if (r === leaving || factor === 0) return;
    for (const k of filled) other[k] -= factor * row[k];
    level2[r] = Math.max(0, level2[r] - factor * level2[leaving]);
  });
}
function priced(line, things, loose, prices) {
  const { ways, step } = line;
  const most = Math.max(...ways.map(({ thing, cover }) => prices[thing] / cover), (prices[things.length] ?? 0) * step);
  if (!(most > 0)) return 0;
  const scale = SCALE / most;
  const values = ways.map(({ thing, cover }) => Math.floor(prices[thing] / cover * scale));
  const perStep = loose > 0n ? Math.floor(prices[things.length] * step * scale) : 0;
  const { value } = dearest(line, values, perStep);
  let worth = 0n;
  things.forEach(({ qty }, thing) => {
    const each = ways.flatMap((way, i) => way.thing === thing ? [BigInt(values[i]) * BigInt(way.cover)] : []);
    worth += BigInt(qty) * each.reduce((least, one) => one < least ? one : least);
  });
  const total = worth * BigInt(step) + BigInt(perStep) * loose;
  return value > 0 ? Number(total / (BigInt(step) * BigInt(value))) : 0;
}

// src/core/lay/strips.ts
var ROOT2 = Math.SQRT2;
var leastCut = ({ least, loss }) => Math.max(least, 2 * loss, 1);
var leastStraightCut = (want) => Math.max(leastCut(want), want.width);
var ROUNDING = 100;
function cutLengths(want, n, most, even) {
  const total = want.length + (n - 1) * want.loss;
  if (n * most < total) return null;
  if (n === 1) return [Math.max(total, want.least)].filter((one) => one <= most);
  const least = Math.max(want.least, Math.min(most, leastStraightCut(want)));
  if (least > most) return null;
  const rest = even ? Math.max(Math.ceil(total / n), least) : Math.max(total - (n - 1) * most, least);
  const full = even ? rest : Math.max(Math.ceil((total - rest) / (n - 1)), least);
  return [...Array.from({ length: n - 1 }, () => full), rest];
}
function leastLength(strip, stock) {
  const most = longestCut(strip.grain, stock);
  const cuts = fewestCuts({ ...strip, strip: strip.id, copy: 1 }, most) ?? 1;
  return strip.length + (cuts - 1) * strip.loss;
}
function longestCut(grain, stock) {
  const across = Math.max(...stock.map(({ left, right }) => right - left));
  if (grain === "along") return Math.max(...stock.map(({ length }) => length));
  return grain === "across" ? across : longestBias(across);
}
function fewestCuts(want, most) {
  if (want.length <= most) return 1;
  if (most <= want.loss) return null;
  return Math.ceil((want.length - want.loss) / (most - want.loss));
}
function straightBlock({ strip, copy, width }, length, across) {
  const [w, h] = across ? [length, width] : [width, length];
  return {
    width: w,
    height: h,
    cuts: [
      {
        strip,
        copy,
        length,
        outline: [
          [0, 0],
          [w, 0],
          [w, h],
          [0, h]
        ]
      }
    ]
  };
}
var longestBias = (width) => Math.floor(width * ROOT2);
function biasBlock(blockWidth, wants, gap, isLying = false) {
  const narrowest = Math.max(...wants.map((want) => Math.ceil(leastCut(want) / ROOT2)));
  const end = isLying ? Math.max(...wants.map(({ width }) => width * ROOT2)) : 0;
  if (narrowest + end > blockWidth) return null;
  const fill = (length, cuts2) => isLying ? fillBias(length, blockWidth, wants, gap, cuts2) : fillBias(blockWidth, length, wants, gap, cuts2);
  const holds = (length) => fill(length, null).length === 0;
  let low = isLying ? narrowest - 1 : 0;
  let high = Math.max(blockWidth, narrowest);
  while (!holds(high)) {
    low = high;
    high *= 2;
    if (high > 1e15) return null;
  }
  for (let i = 0; i < 60 && high - low > 1e3; i++) {
    const middle = Math.round((low + high) / 2);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  const cuts = [];
  fill(high, cuts);
  const block = blockOf(cuts, isLying);
  return { ...block, width: isLying ? Math.min(blockWidth, block.width) : blockWidth };
}
function biasFrom(width, height, wants, gap, isLying) {
  const [w, h] = [width - 2, height - 2];
  const cuts = [];
  const rest = isLying ? fillBias(h, w, wants, gap, cuts) : fillBias(w, h, wants, gap, cuts);
  return cuts.length === 0 ? null : { block: trimmed(blockOf(cuts, isLying)), rest };
}
function blockOf(cuts, isLying) {
  const turned = cuts.map((cut) => isLying ? { ...cut, outline: overCorner(cut.outline) } : cut);
  const furthest2 = (axis) => turned.reduce((far, { outline }) => outline.reduce((most, corner) => Math.max(most, corner[axis]), far), 0);
  return { width: furthest2(0), height: furthest2(1), cuts: turned };
}
function trimmed({ width, height, cuts }) {
  const nearest = (axis) => cuts.reduce(
    (near, { outline }) => outline.reduce((least, corner) => Math.min(least, corner[axis]), near),
    Infinity
  );
  const [left, low] = [nearest(0), nearest(1)];
  const moved = (outline) => outline.map(([x, y]) => [x - left, y - low]);
  return {
    width: width - left,
    height: height - low,
    cuts: cuts.map((cut) => ({ ...cut, outline: moved(cut.outline) }))
  };
}
var overCorner = (outline) => outline.map(([x, y]) => [y, x]);
function fillBias(b, l, wants, gap, cuts) {
  let offset = Math.ceil(leastCut(wants[0]) / ROOT2) - b;
  let bandWidth = 0;
  let from = 0;
  let to = 0;
  for (const [k, want] of wants.entries()) {
    const rise = want.width * ROOT2;
    const least = leastCut(want);
    let missing = want.length - want.loss;
    for (let isFirst = true; isFirst || missing > ROUNDING; ) {
      if (bandWidth !== want.width || (to - from) * ROOT2 < least) {
        if (bandWidth > 0) offset += (bandWidth + gap) * ROOT2;
        if (offset > l) {
          const started = missing < want.length - want.loss ? { ...want, length: missing + want.loss } : want;
          return [started, ...wants.slice(k + 1)];
        }
        bandWidth = want.width;
        from = Math.max(0, -offset);
        to = Math.min(b, l - offset - rise);
        continue;
      }
      const wanted = Math.max(Math.min(missing + want.loss, (to - from) * ROOT2), least);
      const end = Math.min(to, from + Math.ceil(wanted / ROOT2));
      cuts?.push(biasCut(want, from, end, offset, rise));
      missing -= Math.floor((end - from) * ROOT2) - want.loss;
      isFirst = false;
      from = end + gap;
    }
  }
  return [];
}
function biasCut({ strip, copy }, from, to, offset, rise) {
  const [a, b] = [Math.round(from), Math.round(to)];
  const [low, high] = [Math.round(from + offset), Math.round(from + offset + rise)];
  const climb = b - a;
  return {
    strip,
    copy,
    length: Math.round(climb * ROOT2),
    outline: [
      [a, low],
      [b, low + climb],
      [b, high + climb],
      [a, high]
    ]
  };
}

// src/core/lay/bounds.ts
function lowerBound(job, placed) {
  const width = Math.max(...job.stock.map(({ left, right }) => right - left));
  const { gap } = job;
  const loads = job.pieces.map((piece) => ({
    qty: placed.pieces.get(piece.id) ?? 0,
    ways: waysOf(piece.width, piece.height, piece.turns),
    area: areaWithGap(piece, gap),
    isBox: piece.outline === null,
    isBent: piece.outline !== null
  }));
  const stripLoads = job.strips.map((strip) => {
    const { id, width: w, grain } = strip;
    const length = leastLength(strip, job.stock);
    return {
      qty: placed.strips.get(id) ?? 0,
      // A strip along the cloth takes its width over at least its length; the others may be cut to any length.
      ways: grain === "along" ? [[w, length]] : [],
      area: areaOfStrip(w, length, gap),
      isBox: grain === "along",
      isBent: grain === "bias"
    };
  });
  const all = [...loads, ...stripLoads].filter(({ qty }) => qty > 0);
  if (all.length === 0) return 0;
  const rounded = all.some(({ isBent }) => isBent);
  const byArea = quotient(
    sum(all, ({ area, qty }) => area * BigInt(qty)),
    BigInt(width + gap),
    rounded
  ) - job.stock.length * gap;
  const tallest = Math.max(
    0,
    ...loads.filter(({ qty }) => qty > 0).map(({ ways }) => Math.min(...ways.filter(([w]) => w <= width).map(([, h]) => h)))
  );
  const byWidths = job.stock.length > 1 ? 0 : dualFeasible(all, width, gap);
  const byChains = chainBound(
    job,
    job.pieces.flatMap(({ id, width: w, height: h, turns, outline, match }) => {
      const ways = waysOf(w, h, turns).filter(([across]) => across <= width);
      if (outline || ways.length === 0) return [];
      const [widths, heights] = [ways.map(([across]) => across), ways.map(([, along]) => along)];
      return [{ qty: placed.pieces.get(id) ?? 0, width: Math.min(...widths), height: Math.min(...heights), match }];
    })
  );
  const inRows = byRows(loads.filter(({ qty }) => qty > 0), width, gap, job.stock.length);
  return Math.max(0, byArea, Number.isFinite(tallest) ? tallest : 0, byWidths, byChains, inRows);
}
var surely = (area) => BigInt(Math.floor(area * (1 - 1e-12)));
function areaWithGap({ outline, width, height }, gap) {
  const around = surely(Math.PI / 4 * gap ** 2);
  if (!outline) return BigInt(width) * BigInt(height) + BigInt(gap) * BigInt(width + height) + around;
  const area = areaOfPiece({ outline, width, height });
  const girth2 = girthIfConvex(outline) ?? 2 * Math.sqrt(Math.PI * area);
  return surely(area + girth2 * gap / 2) + around;
}
var areaOfStrip = (width, length, gap) => BigInt(width + gap) * BigInt(length);
var quotient = (over, under, isRoundedDown) => Number((isRoundedDown ? over : over + under - 1n) / under);
var sum = (things, value) => things.reduce((total, thing) => total + value(thing), 0n);
function waysOf(w, h, turns) {
  return turns.some((turn2) => turn2 % 180 === 90) && w !== h ? [
    [w, h],
    [h, w]
  ] : [[w, h]];
}
var DRIFTING_SHARE = 0.2;
var MOST_DRIFTING = 2;
function barBound(job, placed, known = 0, isOver = () => false) {
  let best = barBoundOf(job, placed, known, void 0, isOver);
  const better = (bound) => best = Math.max(best, bound);
  for (const group of largestGroups(job, placed)) {
    if (isOver()) break;
    better(waitingBound(job, placed, Math.max(known, best), group, isOver));
    if (group !== null || job.stock.length > 1) better(barBoundOf(job, placed, Math.max(known, best), group, isOver));
  }
  return best > known ? best : 0;
}
function largestGroups({ pieces, lattice }, { pieces: copies }) {
  if (!lattice || lattice.across === 0) return [];
  const areas = /* @__PURE__ */ new Map();
  let all = 0;
  for (const { id, width, height, match, outline } of pieces) {
    const area = width * height * (copies.get(id) ?? 0);
    all += area;
    if (match && !outline) areas.set(match.group, (areas.get(match.group) ?? 0) + area);
  }
  return [...areas].filter(([, area]) => area >= DRIFTING_SHARE * all).sort(([, one], [, other]) => other - one).slice(0, MOST_DRIFTING).map(([group]) => group);
}
function startsOf({ lattice, stock }, match, drifting) {
  const period = lattice?.across ?? 0;
  if (!match || period === 0) return null;
  const shift = match.offset[0] - match.anchor[0];
  if (match.group === null && stock.length === 1)
    return { first: wrap(shift + stock[0].motif[0] - stock[0].left, period), period };
  return match.group === drifting ? { first: wrap(shift, period), period, drifts: true } : null;
}
function waitingBound(job, placed, known, group, isOver) {
  const { gap, stock } = job;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const links = job.pieces.flatMap(({ id, width, height, match, outline }) => {
    const qty = placed.pieces.get(id) ?? 0;
    return match && !outline && match.group === group && qty > 0 ? [{ qty, width, height, match }] : [];
  });
  if (links.length > MOST_ROWS) return 0;
  const waits2 = links.map((link) => waitBehind(job, link, links));
  const last = waits2.reduce((most, wait) => Math.max(most, wait), 0);
  if (last === 0) return 0;
  const things = links.map(({ qty, width, height, match }, i) => ({
    qty,
    ways: [{ side: width, cover: height + gap + waits2[i], starts: startsOf(job, match, group) }]
  }));
  const more = Math.min(...links.map((link) => waitBefore(job, link))) - stock.length * (gap + last);
  const bound = linesBound(things, 0n, usable, known - more, isOver);
  const inRows = rowsNeeded(things.map(({ qty, ways }) => ({ qty, height: ways[0].cover })), mostAbreast(things, usable));
  return Math.max(bound, inRows) + more;
}
function rowsNeeded(things, abreast) {
  let rows = Math.ceil(things.reduce((count, { qty }) => count + qty, 0) / abreast);
  let length = 0;
  for (const { qty, height } of [...things].sort((one, other) => one.height - other.height)) {
    length += Math.min(rows, qty) * height;
    rows -= Math.min(rows, qty);
  }
  return length;
}
function byRows(pieces, usable, gap, lengths) {
  const boxes = pieces.flatMap(({ qty, ways, isBox }) => {
    const fitting = ways.filter(([w]) => w <= usable);
    if (!isBox || fitting.length === 0) return [];
    return [{ qty, width: Math.min(...fitting.map(([w]) => w)), height: Math.min(...fitting.map(([, h]) => h)) + gap }];
  });
  const widths = [...new Set(boxes.map(({ width }) => width))].sort((a, b) => b - a).slice(0, MOST_THRESHOLDS);
  const needs = widths.map((least) => {
    const wide = boxes.filter(({ width }) => width >= least);
    return rowsNeeded(wide, Math.floor(usable / least)) - lengths * gap;
  });
  return Math.max(0, ...needs);
}
function barBoundOf(job, placed, known, drifting, isOver) {
  const { gap, stock } = job;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const things = [];
  let loose = 0n;
  let isBent = false;
  for (const piece of job.pieces) {
    const { id, width, height, turns, outline, match } = piece;
    const qty = placed.pieces.get(id) ?? 0;
    if (qty === 0) continue;
    const area = areaWithGap(piece, gap);
    if (outline) {
      loose += area * BigInt(qty);
      isBent = true;
      continue;
    }
    const starts = startsOf(job, match, drifting);
    const ways = waysOf(width, height, turns).filter(([w]) => w <= usable);
    things.push({ qty, ways: ways.map(([w, h]) => ({ side: w + gap, cover: h, starts })) });
    const most = Math.max(...ways.map(([, h]) => h));
    const rest = area - BigInt(width) * BigInt(height) - BigInt(gap) * BigInt(most);
    loose += rest * BigInt(qty);
  }
  for (const strip of job.strips) {
    const qty = placed.strips.get(strip.id) ?? 0;
    const length = leastLength(strip, stock);
    if (qty === 0) continue;
    if (strip.grain === "along") {
      things.push({ qty, ways: [{ side: strip.width + gap, cover: length, starts: null }] });
    } else {
      loose += areaOfStrip(strip.width, length, gap) * BigInt(qty);
      isBent = true;
    }
  }
  const bound = linesBound(things, loose, usable + gap, known + stock.length * gap, isOver) - stock.length * gap;
  return Math.max(0, bound - (isBent ? 1 : 0));
}
var MOST_THRESHOLDS = 60;
var MOST_PARTS = 12;
function dualFeasible(loads, usable, gap) {
  const width = usable + gap;
  const shaped = loads.filter(({ isBox }) => isBox);
  const bound = (k, f) => {
    const total = sum(shaped, ({ ways, qty }) => {
      const fitting = ways.filter(([w]) => w <= usable).map(([w, h]) => BigInt(f(w + gap)) * BigInt(h));
      return fitting.reduce((least, one) => one < least ? one : least, fitting[0] ?? 0n) * BigInt(qty);
    });
    return quotient(total, BigInt(width) * BigInt(k), false);
  };
  const thresholds = [...new Set(shaped.flatMap(({ ways }) => ways.flatMap(([w]) => [w + gap, width - w - gap])))].filter((e) => e > 0 && e <= width / 2).sort((a, b) => a - b);
  const stride = Math.max(1, Math.ceil(thresholds.length / MOST_THRESHOLDS));
  let best = 0;
  for (let i = 0; i < thresholds.length; i += stride) {
    const e = thresholds[i];
    best = Math.max(
      best,
      bound(1, (x) => x > width - e ? width : x < e ? 0 : x)
    );
  }
  best = Math.max(
    best,
    bound(2, (x) => 2 * x > width ? 2 * width : 2 * x === width ? width : 0)
  );
  for (let k = 1; k <= MOST_PARTS; k++) {
    best = Math.max(
      best,
      bound(k, (x) => (k + 1) * x % width === 0 ? k * x : Math.floor((k + 1) * x / width) * width)
    );
  }
  return best;
}

// src/core/lay/min-tree.ts
var MinTree = class {
  leaves;
  /** Node n has its children at 2n and 2n + 1; the leaves come last. */
  least;
  /** For at most `size` places. */
  constructor(size) {
    this.leaves = 2 ** Math.ceil(Math.log2(Math.max(1, size)));
    this.least = new Float64Array(2 * this.leaves).fill(Infinity);
  }
  /** Takes these numbers as the first ones; all places behind them are Infinity. */
  fill(values) {
    const { leaves, least } = this;
    least.fill(Infinity, leaves);
    least.set(values, leaves);
    for (let n = leaves - 1; n > 0; n--) least[n] = Math.min(least[2 * n], least[2 * n + 1]);
  }
  set(place, value) {
    const { least } = this;
    let n = this.leaves + place;
    least[n] = value;
    for (n >>= 1; n > 0; n >>= 1) least[n] = Math.min(least[2 * n], least[2 * n + 1]);
  }
  /** The first place whose number is below `limit`, or -1. */
  firstBelow(limit) {
    const { leaves, least } = this;
    if (!(least[1] < limit)) return -1;
    let n = 1;
    while (n < leaves) n = least[2 * n] < limit ? 2 * n : 2 * n + 1;
    return n - leaves;
  }
};

// src/core/lay/best-fit.ts
var BestFit = class {
  constructor(parts, left, right, gap) {
    this.parts = parts;
    this.gap = gap;
    this.left = left;
    this.width = right - left + gap;
    const kinds = /* @__PURE__ */ new Map();
    this.members = [];
    this.kindOf = Int32Array.from(parts, ({ width, height, turns }, i) => {
      const key = `${width} ${height} ${turns.join()}`;
      if (!kinds.has(key)) {
        kinds.set(key, kinds.size);
        this.members.push([]);
      }
      const kind = kinds.get(key);
      this.members[kind].push(i);
      return kind;
    });
    this.ways = this.members.map(([first], kind) => partWays(parts[first], gap).map((way) => ({ ...way, kind })));
    for (const way of this.ways.flat()) {
      this.ofWidth.set(way.w, [...this.ofWidth.get(way.w) ?? [], way]);
      this.ofHeight.set(way.h, [...this.ofHeight.get(way.h) ?? [], way]);
    }
    this.rank = new Int32Array(this.members.length);
    this.narrowest = new MinTree(this.members.length);
  }
  parts;
  gap;
  ways;
  /** The ways of one width, and those of one height: what fits exactly is found without looking at the rest. */
  ofWidth = /* @__PURE__ */ new Map();
  ofHeight = /* @__PURE__ */ new Map();
  /** Parts of one size and turning are one kind; they are placed in the order of their numbers. */
  kindOf;
  members;
  left;
  /** The usable width with the gap. */
  width;
  /** Where a kind comes in the order. */
  rank;
  /** By place in the order, the width of each kind's narrowest way, Infinity once none of the kind waits. */
  narrowest;
  /**
   * The waiting way that fits a gap best, the earliest of equals; null when none does. `sequence` is the order of the kinds.
   */
  fitting(width, wall, waiting, sequence) {
    const { ways, rank } = this;
    let bestScore = -1;
    let bestRank = Infinity;
    let best = null;
    const offer2 = (way, score) => {
      if (waiting[way.kind] === 0 || score < bestScore || score === bestScore && rank[way.kind] >= bestRank) return;
      bestScore = score;
      bestRank = rank[way.kind];
      best = way;
    };
    for (const way of this.ofWidth.get(width) ?? []) offer2(way, way.h === wall ? 4 : way.h > wall ? 3 : 2);
    if (best) return best;
    for (const way of this.ofHeight.get(wall) ?? []) if (way.w < width) offer2(way, 1);
    if (best) return best;
    const first = this.narrowest.firstBelow(width);
    return first < 0 ? null : ways[sequence[first]].find(({ w }) => w < width);
  }
  /** Places all parts; returns the length used, or Infinity once it passes `limit`. x, y and turned are filled by part. */
  place(order, limit, x, y, turned) {
    const { members, kindOf, gap } = this;
    const waiting = members.map((one) => one.length);
    const sequence = [];
    const seen = new Uint8Array(members.length);
    for (const i of order) {
      const kind = kindOf[i];
      if (!seen[kind]) {
        seen[kind] = 1;
        this.rank[kind] = sequence.length;
        sequence.push(kind);
      }
    }
    this.narrowest.fill(sequence.map((kind) => Math.min(...this.ways[kind].map(({ w }) => w))));
    const segX = [0];
    const segW = [this.width];
    const segY = [0];
    let used = 0;
    for (let left = this.parts.length; left > 0; ) {
      let s = 0;
      for (let i = 1; i < segY.length; i++) if (segY[i] < segY[s]) s = i;
      const width = segW[s];
      const leftWall = s > 0 ? segY[s - 1] - segY[s] : Infinity;
      const rightWall = s < segY.length - 1 ? segY[s + 1] - segY[s] : Infinity;
      const wall = leftWall === Infinity ? rightWall === Infinity ? 0 : rightWall : rightWall === Infinity ? leftWall : Math.max(leftWall, rightWall);
      const bestWay = this.fitting(width, wall, waiting, sequence);
      if (!bestWay) {
        level(segX, segW, segY, s, Math.min(leftWall, rightWall));
        continue;
      }
      const { w, h, kind } = bestWay;
      const atLeft = leftWall >= rightWall;
      const px = atLeft ? segX[s] : segX[s] + width - w;
      const py = segY[s];
      const part = members[kind][members[kind].length - waiting[kind]];
      if (--waiting[kind] === 0) this.narrowest.set(this.rank[kind], Infinity);
      left--;
      x[part] = this.left + px;
      y[part] = py;
      turned[part] = bestWay.turned;
      const top = py + h;
      if (top - gap > used) used = top - gap;
      if (used > limit) return Infinity;
      if (w === width) {
        segY[s] = top;
      } else if (atLeft) {
        segX.splice(s, 1, px, px + w);
        segW.splice(s, 1, w, width - w);
        segY.splice(s, 1, top, py);
      } else {
        segX.splice(s, 1, segX[s], px);
        segW.splice(s, 1, width - w, w);
        segY.splice(s, 1, py, top);
        s++;
      }
      merge(segX, segW, segY, s);
    }
    return used;
  }
};
function level(segX, segW, segY, s, by) {
  segY[s] += by;
  merge(segX, segW, segY, s);
}
function merge(segX, segW, segY, s) {
  if (s < segY.length - 1 && segY[s + 1] === segY[s]) {
    segW[s] += segW[s + 1];
    segX.splice(s + 1, 1);
    segW.splice(s + 1, 1);
    segY.splice(s + 1, 1);
  }
  if (s > 0 && segY[s - 1] === segY[s]) {
    segW[s - 1] += segW[s];
    segX.splice(s, 1);
    segW.splice(s, 1);
    segY.splice(s, 1);
  }
}

// src/core/lay/space.ts
var nowhere = () => ({ x: 0, y: 0, score: Infinity, tie: Infinity });
function offer(x, y, h, slack, rule, best) {
  const score = rule === "top" ? y + h : y;
  const tie = rule === "tight" ? slack : x;
  if (score > best.score || score === best.score && tie >= best.tie) return;
  best.x = x;
  best.y = y;
  best.score = score;
  best.tie = tie;
}
var START = 64;
var MOST_KEPT = 1500;
var FreeSpace = class {
  /**
   * Free from (left, 0) to (right, top) nm but for what is blocked: flaws, and what lies outside an odd shape. Rectangles under leastWidth or
   * leastHeight are not kept: nothing fits there.
   */
  constructor(left, right, top, leastWidth, leastHeight, blocked) {
    this.leastWidth = leastWidth;
    this.leastHeight = leastHeight;
    this.add(left, 0, right, top);
    for (const box of blocked) this.take(...box);
    const { x0, y0, x1, y1, count } = this;
    this.fresh = new Float64Array(4 * count);
    for (let i = 0; i < count; i++) this.fresh.set([x0[i], y0[i], x1[i], y1[i]], 4 * i);
  }
  leastWidth;
  leastHeight;
  x0 = new Float64Array(START);
  y0 = new Float64Array(START);
  x1 = new Float64Array(START);
  y1 = new Float64Array(START);
  count = 0;
  /** Kept between calls: the rectangles that a box meets, and the numbers of those that touch its sides. */
  met = [];
  beside = [];
  /** What is free at first: x0, y0, x1, y1 of each rectangle. */
  fresh;
  clear() {
    const { fresh } = this;
    this.count = 0;
    for (let i = 0; i < fresh.length; i += 4) this.add(fresh[i], fresh[i + 1], fresh[i + 2], fresh[i + 3]);
  }
  add(x0, y0, x1, y1) {
    if (this.count === this.x0.length) this.grow();
    const i = this.count++;
    this.x0[i] = x0;
    this.y0[i] = y0;
    this.x1[i] = x1;
    this.y1[i] = y1;
  }
  grow() {
    for (const key of ["x0", "y0", "x1", "y1"]) {
      const bigger = new Float64Array(this[key].length * 2);
      bigger.set(this[key]);
      this[key] = bigger;
    }
  }
  /**
   * Improves `best` with the best place for a box of w by h nm. With a phase, the box's lower left corner less the
   * motif point must have it; every column of the pattern in reach is tried, since a drop may let a later one start lower.
   */
  find(w, h, rule, best, phase, lattice, motif) {
    const { x0, y0, x1, y1, count } = this;
    for (let i = 0; i < count; i++) {
      const left = x0[i];
      const bottom = y0[i];
      const right = x1[i];
      if (right - left < w || y1[i] - bottom < h) continue;
      const least = rule === "top" ? bottom + h : bottom;
      if (least > best.score) continue;
      if (!phase || !lattice) {
        offer(left, bottom, h, right - left - w, rule, best);
        continue;
      }
      const [motifX, motifY] = motif;
      for (let x = motifX + nextAcross(left - motifX, phase[0], lattice); x + w <= right; x += lattice.across) {
        const y = motifY + nextAlong(x - motifX, bottom - motifY, phase, lattice);
        if (y + h <= y1[i]) offer(x, y, h, right - left - w, rule, best);
        if (lattice.across === 0 || lattice.shift === 0) break;
      }
    }
  }
  /** Takes the box from (ax, ay) to (bx, by) nm out of the free cloth. */
  take(ax, ay, bx, by) {
    const { x0: X0, y0: Y0, x1: X1, y1: Y1, met, beside } = this;
    let kept = 0;
    let meets = 0;
    let besides = 0;
    for (let i = 0; i < this.count; i++) {
      const x0 = X0[i];
      const y0 = Y0[i];
      const x1 = X1[i];
      const y1 = Y1[i];
      if (ax < x1 && bx > x0 && ay < y1 && by > y0) {
        met[meets++] = x0;
        met[meets++] = y0;
        met[meets++] = x1;
        met[meets++] = y1;
        continue;
      }
      if (x1 === ax || x0 === bx || y1 === ay || y0 === by) beside[besides++] = kept;
      if (kept !== i) {
        X0[kept] = x0;
        Y0[kept] = y0;
        X1[kept] = x1;
        Y1[kept] = y1;
      }
      kept++;
    }
    this.count = kept;
    if (kept > 2 * MOST_KEPT) {
      this.giveUpLowest();
      besides = 0;
      for (let i = 0; i < this.count; i++)
        if (X1[i] === ax || X0[i] === bx || Y1[i] === ay || Y0[i] === by) beside[besides++] = i;
    }
    for (let k = 0; k < meets; k += 4) {
      const x0 = met[k];
      const y0 = met[k + 1];
      const x1 = met[k + 2];
      const y1 = met[k + 3];
      if (ax > x0) besides = this.keep(x0, y0, ax, y1, besides);
      if (bx < x1) besides = this.keep(bx, y0, x1, y1, besides);
      if (ay > y0) besides = this.keep(x0, y0, x1, ay, besides);
      if (by < y1) besides = this.keep(x0, by, x1, y1, besides);
    }
  }
  /** Keeps the rectangles that end highest. */
  giveUpLowest() {
    const { x0, y0, x1, y1 } = this;
    const least = y1.slice(0, this.count).sort()[this.count - MOST_KEPT];
    let kept = 0;
    for (let i = 0; i < this.count; i++) {
      if (y1[i] < least) continue;
      [x0[kept], y0[kept], x1[kept], y1[kept]] = [x0[i], y0[i], x1[i], y1[i]];
      kept++;
    }
    this.count = kept;
  }
  /**
   * Adds what remains of a rectangle beside the box unless it is too small or lies within another one, and drops those
   * that lie within it. Only rectangles that touch the same side of the box can hold it: whatever holds it must
   * reach past the box's side or end there, and nothing that is still free reaches past. Returns the new number of `beside`.
   */
  keep(x0, y0, x1, y1, besides) {
    if (x1 - x0 < this.leastWidth || y1 - y0 < this.leastHeight) return besides;
    const { x0: X0, y0: Y0, x1: X1, y1: Y1, beside } = this;
    for (let k = 0; k < besides; k++) {
      const i = beside[k];
      if (X0[i] <= x0 && Y0[i] <= y0 && X1[i] >= x1 && Y1[i] >= y1) return besides;
    }
    for (let k = 0; k < besides; k++) {
      const i = beside[k];
      if (x0 <= X0[i] && y0 <= Y0[i] && x1 >= X1[i] && y1 >= Y1[i]) {
        X0[i] = x0;
        Y0[i] = y0;
        X1[i] = x1;
        Y1[i] = y1;
        for (let m = k + 1; m < besides; m++) {
          const other = beside[m];
          if (x0 <= X0[other] && y0 <= Y0[other] && x1 >= X1[other] && y1 >= Y1[other]) X1[other] = X0[other];
        }
        return besides;
      }
    }
    beside[besides] = this.count;
    this.add(x0, y0, x1, y1);
    return besides + 1;
  }
};

// src/core/lay/guillotine.ts
var GuillotineSpace = class {
  constructor(left, right, top, leastWidth, leastHeight, blocked) {
    this.left = left;
    this.right = right;
    this.top = top;
    this.leastWidth = leastWidth;
    this.leastHeight = leastHeight;
    this.blocked = blocked;
    this.clear();
  }
  left;
  right;
  top;
  leastWidth;
  leastHeight;
  blocked;
  rects = [];
  /** Whether the endless end is cut along first, into columns, instead of across, into rows. */
  isByColumns = false;
  clear(rule = "top") {
    this.isByColumns = rule === "tight";
    this.rects = [{ x0: this.left, y0: 0, x1: this.right, y1: this.top }];
  }
  find(w, h, rule, best, phase, lattice, motif) {
    for (const { x0, y0, x1, y1 } of this.rects) {
      if (x1 - x0 < w || y1 - y0 < h || (rule === "top" ? y0 + h : y0) > best.score) continue;
      if (!phase || !lattice) {
        const at = this.clearOf(x0, y0, w, h, x1, y1);
        if (at) offer(at[0], at[1], h, x1 - x0 - w, rule, best);
        continue;
      }
      const [motifX, motifY] = motif;
      for (let x = motifX + nextAcross(x0 - motifX, phase[0], lattice); x + w <= x1; x += lattice.across) {
        const y = motifY + nextAlong(x - motifX, y0 - motifY, phase, lattice);
        if (y + h <= y1 && !this.isBlocked(x, y, w, h)) offer(x, y, h, x1 - x0 - w, rule, best);
        if (lattice.across === 0 || lattice.shift === 0 && this.blocked.length === 0) break;
      }
    }
  }
  isBlocked(x, y, w, h) {
    return this.blocked.some(([x0, y0, x1, y1]) => x < x1 && x + w > x0 && y < y1 && y + h > y0);
  }
  /** The first place in a rectangle, lowest first, that is off the flaws; only corners at flaws' ends are tried. */
  clearOf(x0, y0, w, h, x1, y1) {
    if (!this.isBlocked(x0, y0, w, h)) return [x0, y0];
    const xs = [x0, ...this.blocked.map(([, , end]) => end).filter((x) => x > x0 && x + w <= x1)];
    const ys = [y0, ...this.blocked.map(([, , , end]) => end).filter((y) => y > y0 && y + h <= y1)].sort(
      (a, b) => a - b
    );
    for (const y of ys) for (const x of xs) if (!this.isBlocked(x, y, w, h)) return [x, y];
    return null;
  }
  /** Takes a box out of the rectangle that holds it: cuts off what lies below and left, then above and right. */
  take(ax, ay, bx, by) {
    const k = this.rects.findIndex(({ x0: x02, y0: y02, x1: x12, y1: y12 }) => x02 <= ax && y02 <= ay && x12 >= bx && y12 >= by);
    const { x0, y0, x1, y1 } = this.rects[k];
    this.rects.splice(k, 1);
    this.keep({ x0, y0, x1, y1: ay });
    this.keep({ x0, y0: ay, x1: ax, y1: y1 === Infinity && !this.isByColumns ? by : y1 });
    if (y1 === Infinity && this.isByColumns) {
      this.keep({ x0: bx, y0: ay, x1, y1 });
      this.keep({ x0: ax, y0: by, x1: bx, y1 });
      return;
    }
    if (y1 === Infinity) {
      this.keep({ x0, y0: by, x1, y1 });
      this.keep({ x0: bx, y0: ay, x1, y1: by });
      return;
    }
    const [aboveFirst, rightFirst] = [
      Math.max((x1 - ax) * (y1 - by), (x1 - bx) * (by - ay)),
      Math.max((x1 - bx) * (y1 - ay), (bx - ax) * (y1 - by))
    ];
    if (aboveFirst >= rightFirst) {
      this.keep({ x0: ax, y0: by, x1, y1 });
      this.keep({ x0: bx, y0: ay, x1, y1: by });
    } else {
      this.keep({ x0: bx, y0: ay, x1, y1 });
      this.keep({ x0: ax, y0: by, x1: bx, y1 });
    }
  }
  keep(rect) {
    if (rect.x1 - rect.x0 >= this.leastWidth && rect.y1 - rect.y0 >= this.leastHeight) this.rects.push(rect);
  }
};

// src/core/lay/tight.ts
var SAME = 4;
var MATCHED = 100;
var suitsTightSearch = ({ stock, straight }) => stock.length === 1 && stock[0].length === Infinity && stock[0].flaws.length === 0 && !stock[0].outline && !straight;
var TightSearch = class {
  constructor(job, parts, random) {
    this.job = job;
    this.random = random;
    const { gap, lattice, stock } = job;
    const [{ left, right, motif }] = stock;
    this.left = left;
    this.lattice = lattice;
    this.motif = [motif[0] - left, motif[1]];
    this.width = right - left + gap;
    const { kinds, groups } = gatherKinds(job, parts);
    this.kinds = kinds;
    this.phases = Array.from({ length: groups }, () => null);
    this.counts = Int32Array.from(this.kinds, ({ members }) => members.length);
    this.weights = new Float64Array(this.kinds.length);
    this.area = this.kinds.reduce((sum2, { ways, members }) => sum2 + members.length * ways[0].w * ways[0].h, 0);
    const sides = this.kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h]));
    this.step = [this.width, ...sides].reduce(greatestCommon);
    this.lowest = Math.min(...sides);
    this.widest = this.fillable();
  }
  job;
  random;
  kinds;
  counts;
  weights;
  segX = [];
  segW = [];
  segY = [];
  placed = [];
  phases;
  nodes = 0;
  left;
  motif;
  width;
  area;
  /** For each width in steps of `step`: the widest sum of parts' widths that fits it; null on too fine a grid. */
  widest;
  step;
  lowest;
  lattice;
  /** For each width in steps: the widest sum of parts' widths that fits it. */
  fillable() {
    const reached = subsetSums(this.kinds, this.width, this.step, ({ w }) => w);
    if (!reached) return null;
    const widest2 = new Int32Array(reached.length);
    for (let u = 1; u < widest2.length; u++) widest2[u] = reached[u] ? u : widest2[u - 1];
    return widest2;
  }
  /** Looks for a lay of at most `target` nm within `limit` nodes; fills x, y and turned by part and returns true when found. */
  run(target, limit, x, y, turned) {
    const height = target + this.job.gap;
    const hair = 1e-9 * this.area;
    const waste = this.width * height - this.area;
    if (waste < -hair) return false;
    this.segX.splice(0, this.segX.length, 0);
    this.segW.splice(0, this.segW.length, this.width);
    this.segY.splice(0, this.segY.length, 0);
    this.placed.length = 0;
    this.phases.fill(null);
    this.kinds.forEach(({ members, ways }, k) => {
      this.counts[k] = members.length;
      this.weights[k] = ways[0].w * ways[0].h * (0.4 + this.random.next());
    });
    this.nodes = limit;
    const parts = this.kinds.reduce((sum2, { members }) => sum2 + members.length, 0);
    if (!this.descend(parts, height, Math.max(0, waste) + hair)) return false;
    const next = this.kinds.map(() => 0);
    for (const { kind, way, x: px, y: py } of this.placed) {
      const part = this.kinds[kind].members[next[kind]++];
      x[part] = this.left + px;
      y[part] = py;
      turned[part] = way.turned;
    }
    return true;
  }
  descend(left, height, waste) {
    if (left === 0) return true;
    if (--this.nodes < 0) return false;
    const { segX, segW, segY, counts, kinds } = this;
    let s = 0;
    for (let i = 1; i < segY.length; i++) if (segY[i] < segY[s]) s = i;
    const [x, width, y] = [segX[s], segW[s], segY[s]];
    const leftWall = s > 0 ? segY[s - 1] - y : Infinity;
    const rightWall = s < segY.length - 1 ? segY[s + 1] - y : Infinity;
    for (const { kind, way, dx, dy } of this.options(x, y, width, height, waste, leftWall, rightWall)) {
      counts[kind]--;
      this.placed.push({ kind, way, x: x + dx, y: y + dy });
      const { group, shift } = kinds[kind];
      const isFirst = group >= 0 && this.phases[group] === null;
      if (isFirst) {
        const [motifX, motifY] = this.motif;
        this.phases[group] = phaseOf(x + dx + shift[0] - motifX, y + dy + shift[1] - motifY, this.lattice);
      }
      const undo2 = this.put(s, dx, way.w, y + dy + way.h);
      if (this.descend(left - 1, height, waste - way.w * dy)) return true;
      undo2();
      if (isFirst) this.phases[group] = null;
      this.placed.pop();
      counts[kind]++;
      if (this.nodes < 0) return false;
    }
    const rise = Math.min(leftWall, rightWall);
    if (rise === Infinity || width * rise > waste || y + rise >= height) return false;
    const undo = this.put(s, 0, width, y + rise);
    if (this.descend(left, height, waste - width * rise)) return true;
    undo();
    return false;
  }
  /** What may be put into the lowest gap, best first. */
  options(x, y, width, height, waste, leftWall, rightWall) {
    const options = [];
    const { counts, kinds } = this;
    let narrowest = Infinity;
    for (let kind = 0; kind < counts.length; kind++) {
      if (counts[kind] === 0) continue;
      for (const { w } of kinds[kind].ways) if (w < narrowest) narrowest = w;
    }
    for (let kind = 0; kind < counts.length; kind++) {
      if (counts[kind] === 0) continue;
      if (!kinds[kind].ways.some(({ w, h }) => w <= width && y + h <= height)) continue;
      const [dx, dy] = this.offset(kinds[kind], x, y);
      for (const way of kinds[kind].ways) {
        if (dx + way.w > width || y + dy + way.h > height || way.w * dy > waste) continue;
        const rest = width - dx - way.w;
        if (dx > 0 && dx < narrowest && dx * Math.min(dy + way.h, leftWall) > waste) continue;
        if (rest > 0 && rest < narrowest && rest * Math.min(dy + way.h, rightWall) > waste) continue;
        const open = this.widest ? rest - this.widest[Math.floor(rest / this.step)] * this.step : 0;
        if (open > 0 && open * Math.min(this.lowest, way.h, rightWall) > waste) continue;
        const top = dy + way.h;
        const isFull = dx === 0 && rest === 0;
        const score = (isFull ? top === leftWall || top === rightWall ? 8 : 3 : top === leftWall ? 2 : 1) / (1 + 4 * way.w * dy / (way.w * way.h));
        const isMatched = this.isBound(kinds[kind]) && dx === 0 && dy === 0;
        options.push({ kind, way, dx, dy, rank: (isMatched ? MATCHED : 1) * score * this.weights[kind] });
      }
    }
    return options.sort((a, b) => b.rank - a.rank);
  }
  isBound({ fixed, group }) {
    return fixed !== null || group >= 0 && this.phases[group] !== null;
  }
  /** How far right and up from a gap's corner a kind must lie for its phase. */
  offset({ fixed, group, shift }, x, y) {
    const { lattice } = this;
    const own = fixed ?? (group >= 0 ? this.phases[group] : null);
    if (!own || !lattice) return [0, 0];
    const wanted = fixed ?? phaseOf(own[0] - shift[0], own[1] - shift[1], lattice);
    const [fromX, fromY] = [x - this.motif[0], y - this.motif[1]];
    let dx = lattice.across === 0 ? 0 : wrap(wanted[0] - fromX, lattice.across);
    if (lattice.across - dx <= SAME || dx <= SAME) dx = 0;
    const column = lattice.across === 0 ? fromX : wanted[0] + Math.round((fromX + dx - wanted[0]) / lattice.across) * lattice.across;
    let dy = nextAlong(column, fromY, wanted, lattice) - fromY;
    if (lattice.along > 0 && (lattice.along - dy <= SAME || dy <= SAME)) dy = 0;
    return [dx, dy];
  }
  /** Raises a part of a segment to `top`, joins equal neighbours, and returns the way back. */
  put(s, dx, w, top) {
    const { segX, segW, segY } = this;
    const saved = [segX.slice(), segW.slice(), segY.slice()];
    const [x, width, y] = [segX[s], segW[s], segY[s]];
    const bits = [
      [x, dx, y],
      [x + dx, w, top],
      [x + dx + w, width - dx - w, y]
    ].filter(([, bit]) => bit > 0);
    segX.splice(s, 1, ...bits.map((bit) => bit[0]));
    segW.splice(s, 1, ...bits.map((bit) => bit[1]));
    segY.splice(s, 1, ...bits.map((bit) => bit[2]));
    for (let i = Math.min(s + bits.length, segY.length - 1); i >= Math.max(1, s); i--) {
      if (segY[i] !== segY[i - 1]) continue;
      segW[i - 1] += segW[i];
      segX.splice(i, 1);
      segW.splice(i, 1);
      segY.splice(i, 1);
    }
    return () => {
      segX.splice(0, segX.length, ...saved[0]);
      segW.splice(0, segW.length, ...saved[1]);
      segY.splice(0, segY.length, ...saved[2]);
    };
  }
};

// src/core/lay/placing.ts
var SPACE_RULES = ["top", "bottom", "tight"];
var DRIFT = 1e-3;
var Placer = class {
  constructor(job, parts) {
    this.job = job;
    this.parts = parts;
    const { gap } = job;
    const sides = parts.map(({ width, height, turns }) => [
      Math.min(...turns.map((turn2) => turn2 === 0 ? width : height)) + gap,
      Math.min(...turns.map((turn2) => turn2 === 0 ? height : width)) + gap
    ]);
    const leastWidth = Math.min(...sides.map(([w]) => w));
    const leastHeight = Math.min(...sides.map(([, h]) => h));
    const Space = job.straight ? GuillotineSpace : FreeSpace;
    this.spaces = job.stock.map(({ left, right, length, flaws, outline }) => {
      const blocked = [...flaws, ...outline ? boxesOutside(outline, left, right, length) : []];
      const moved = blocked.map(([x0, y0, x1, y1]) => [
        x1 - x0 > gap ? x0 + gap : x0,
        y1 - y0 > gap ? y0 + gap : y0,
        x1,
        y1
      ]);
      return new Space(left, right + gap, length + gap, leastWidth, leastHeight, moved);
    });
    const names = [...new Set(parts.flatMap(({ match }) => match?.group ?? []))];
    this.groups = new Map(names.map((name2, i) => [name2, i]));
    this.groupPhases = names.map(() => null);
    this.endless = endlessOf(job.stock);
    const [first] = job.stock;
    const isPlain = job.stock.length === 1 && this.endless === 0 && first.flaws.length === 0 && !first.outline && !job.straight && parts.every(({ match }) => !match);
    this.bestFit = isPlain ? new BestFit(parts, first.left, first.right, gap) : null;
    this.canBeTight = suitsTightSearch(job) && parts.length > 0;
    this.rules = isPlain ? ["fit", ...SPACE_RULES] : SPACE_RULES;
  }
  job;
  parts;
  spaces;
  groupPhases;
  /** The match groups by name, each with its number. */
  groups;
  endless;
  /** The best-fit placer, for parts without a phase on one endless length without flaws. */
  bestFit;
  tight = null;
  /** Whether a depth-first search for a tight lay makes sense here. */
  canBeTight;
  /** The rules that may be used here. */
  rules;
  /**
   * One pass over `order` (indices of parts) with the given phases of the groups, null to leave one open.
   * Gives up with an infinite cost once the endless length passes `limit`.
   */
  place(order, rule, limit, phases = []) {
    const n = this.parts.length;
    const { stock } = this.job;
    if (rule === "fit") return this.placeBestFit(order, limit);
    this.clear(phases, rule);
    const result = {
      stock: new Int32Array(n).fill(-1),
      x: new Float64Array(n),
      y: new Float64Array(n),
      turned: new Uint8Array(n),
      cost: 0,
      used: new Float64Array(stock.length)
    };
    for (const i of order) {
      if (!this.placeOne(this.parts[i], i, rule, result)) continue;
      const at = result.stock[i];
      if (at === this.endless && result.used[at] > limit) return { ...result, cost: Infinity };
    }
    result.cost = costOf(this.job, this.parts, result);
    return result;
  }
  /** Looks for a lay of at most `target` nm in `nodes` steps of a depth-first search; null when it finds none. */
  placeTight(target, nodes, random) {
    if (!this.canBeTight) return null;
    this.tight ??= new TightSearch(this.job, this.parts, random);
    const n = this.parts.length;
    const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
    return this.tight.run(target, nodes, x, y, turned) ? this.asPlacing(x, y, turned) : null;
  }
  placeBestFit(order, limit) {
    const n = this.parts.length;
    const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
    const used = this.bestFit.place(order, limit, x, y, turned);
    if (used === Infinity) return { stock: new Int32Array(n), x, y, turned, used: Float64Array.of(used), cost: used };
    return this.asPlacing(x, y, turned);
  }
  /** All parts lie on the one length: its furthest point and the cost. */
  asPlacing(x, y, turned) {
    return measured(this.job, this.parts, { stock: new Int32Array(this.parts.length), x, y, turned });
  }
  clear(phases, rule) {
    for (let g = 0; g < this.groupPhases.length; g++) this.groupPhases[g] = phases[g] ?? null;
    for (const space of this.spaces) space.clear(rule);
  }
  placeOne(part, i, rule, result) {
    const { gap, lattice, stock } = this.job;
    const phase = this.cornerPhase(part);
    for (let k = 0; k < stock.length; k++) {
      const best = nowhere();
      let turned = 0;
      for (const turn2 of part.turns) {
        const [w2, h2] = turn2 === 0 ? [part.width, part.height] : [part.height, part.width];
        const before = best.score;
        const tie = best.tie;
        this.spaces[k].find(w2 + gap, h2 + gap, rule, best, phase, lattice, stock[k].motif);
        if (best.score !== before || best.tie !== tie) turned = turn2 === 0 ? 0 : 1;
      }
      if (best.score === Infinity) continue;
      const [w, h] = turned === 0 ? [part.width, part.height] : [part.height, part.width];
      this.spaces[k].take(best.x, best.y, best.x + w + gap, best.y + h + gap);
      result.stock[i] = k;
      result.x[i] = best.x;
      result.y[i] = best.y;
      result.turned[i] = turned;
      result.used[k] = Math.max(result.used[k], best.y + h);
      this.learnPhase(part, stock[k], best.x, best.y);
      return true;
    }
    return false;
  }
  /** The phase that the part's lower left corner must have relative to the motif point, or null when it is free. */
  cornerPhase({ match }) {
    const { lattice } = this.job;
    if (!match || !lattice) return null;
    const [shiftX, shiftY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    if (match.group === null) return phaseOf(shiftX, shiftY, lattice);
    const phase = this.groupPhases[this.groups.get(match.group)];
    return phase ? phaseOf(phase[0] + shiftX, phase[1] + shiftY, lattice) : null;
  }
  learnPhase({ match }, { motif }, x, y) {
    if (!match?.group || !this.job.lattice) return;
    const group = this.groups.get(match.group);
    this.groupPhases[group] ??= phaseAt(match, motif, x, y, this.job.lattice);
  }
};
function measured(job, parts, where) {
  const { stock, y, turned } = where;
  const used = new Float64Array(job.stock.length);
  parts.forEach(({ width, height }, i) => {
    const at = stock[i];
    if (at >= 0) used[at] = Math.max(used[at], y[i] + (turned[i] % 2 === 1 ? width : height));
  });
  return { ...where, used, cost: costOf(job, parts, { ...where, used }) };
}
function costOf({ stock }, parts, { stock: at, y, turned, used }) {
  let [unplaced, lifted, total] = [0, 0, 0];
  parts.forEach(({ width, height }, i) => {
    const area = width * height;
    if (at[i] < 0) {
      unplaced += area;
      return;
    }
    lifted += area * (y[i] + (turned[i] % 2 === 1 ? width : height));
    total += area;
  });
  const endless = endlessOf(stock);
  const endlessUsed = endless >= 0 ? used[endless] : 0;
  const finiteUsed = used.reduce((sum2, one) => sum2 + one, 0) - endlessUsed;
  const widest2 = Math.max(...stock.map(({ left, right }) => right - left));
  const drift = total > 0 ? lifted / total : 0;
  return unplaced / widest2 * 1e4 + endlessUsed + drift * DRIFT + finiteUsed * 1e-4;
}
var phaseAt = ({ anchor, offset }, motif, x, y, lattice) => phaseOf(x + anchor[0] - offset[0] - motif[0], y + anchor[1] - offset[1] - motif[1], lattice);

// src/core/lay/locked.ts
function boxOf2(job, { piece, x, y, turn: turn2 }) {
  const { width, height } = job.pieces.find(({ id }) => id === piece);
  return turn2 % 180 === 0 ? [x, y, x + width, y + height] : [x, y, x + height, y + width];
}
function withoutLocked(job) {
  const { lattice, locked } = job;
  const phases = /* @__PURE__ */ new Map();
  for (const { piece, stock, x, y } of locked) {
    const { match } = job.pieces.find(({ id }) => id === piece);
    const { motif } = job.stock.find(({ id }) => id === stock);
    if (match?.group && lattice) phases.set(match.group, phaseAt(match, motif, x, y, lattice));
  }
  return {
    ...job,
    locked: [],
    stock: job.stock.map((stock) => ({ ...stock, flaws: [...stock.flaws, ...flawsFrom(job, stock)] })),
    pieces: job.pieces.flatMap((piece) => {
      const qty = piece.qty - locked.filter((one) => one.piece === piece.id).length;
      const { match } = piece;
      const phase = match?.group ? phases.get(match.group) : void 0;
      const offset = phase && match ? match.offset.map((at, i) => at + phase[i]) : match?.offset;
      return qty > 0 ? [{ ...piece, qty, match: match && { ...match, offset, group: phase ? null : match.group } }] : [];
    })
  };
}
function flawsFrom(job, { id, left, right }) {
  const { gap } = job;
  const here = job.locked.filter(({ stock }) => stock === id);
  if (here.length === 0) return [];
  if (job.straight) return [[left, 0, right, Math.max(...here.map((one) => boxOf2(job, one)[3])) + gap]];
  return here.flatMap((one) => {
    const { outline } = job.pieces.find((piece) => piece.id === one.piece);
    const boxes = outline ? boxesWithin(turnOutline(outline, one.turn)).map(([x0, y0, x1, y1]) => [
      one.x + x0,
      one.y + y0,
      one.x + x1,
      one.y + y1
    ]) : [boxOf2(job, one)];
    return boxes.map(([x0, y0, x1, y1]) => [x0 - gap, y0 - gap, x1 + gap, y1 + gap]);
  });
}
function withLocked(job, rest) {
  const free = new Map(
    job.pieces.map(({ id, qty }) => {
      const taken = new Set(job.locked.filter(({ piece }) => piece === id).map(({ copy }) => copy));
      return [id, Array.from({ length: qty }, (_, i) => i + 1).filter((copy) => !taken.has(copy))];
    })
  );
  const recount = (one) => ({
    ...one,
    copy: free.get(one.piece)[one.copy - 1]
  });
  const lays = job.stock.flatMap(({ id }) => {
    const lay = rest.lays.find(({ stock }) => stock === id);
    const locked = job.locked.filter(({ stock }) => stock === id);
    if (!lay && locked.length === 0) return [];
    const placed = locked.map(({ piece, copy, x, y, turn: turn2 }) => ({ piece, copy, x, y, turn: turn2 }));
    return [
      {
        stock: id,
        used: Math.max(lay?.used ?? 0, ...locked.map((one) => boxOf2(job, one)[3])),
        placed: [...placed, ...(lay?.placed ?? []).map(recount)],
        cuts: lay?.cuts ?? []
      }
    ];
  });
  const used = lays.reduce((sum2, lay) => sum2 + lay.used, 0);
  const endless = job.stock.find(({ length }) => length === Infinity)?.id;
  return {
    ...rest,
    lays,
    unplaced: rest.unplaced.map((one) => "piece" in one ? recount(one) : one),
    used,
    endless: lays.find(({ stock }) => stock === endless)?.used ?? 0
  };
}

// src/core/lay/rounded-outline.ts
var import_clipper_lib2 = __toESM(require_clipper(), 1);
var import_simplify_js = __toESM(require_simplify(), 1);
var MANY_CORNERS = 32;
var OUT = NM.mm / 2;
var MOST_CORNERS2 = 32;
var MOST_OUT = 1 / 16;
var CLIP = 1e3;
function roundedOut(ring, width, height, out = OUT) {
  if (ring.length <= MANY_CORNERS) return ring;
  const half = out / CLIP / 2;
  const exact = ring.map(([x, y]) => ({ X: Math.round(x / CLIP), Y: Math.round(y / CLIP) }));
  if (!import_clipper_lib2.default.Clipper.Orientation(exact)) exact.reverse();
  const grown = [];
  const offset = new import_clipper_lib2.default.ClipperOffset(2, half / 10);
  offset.AddPath(exact, import_clipper_lib2.default.JoinType.jtRound, import_clipper_lib2.default.EndType.etClosedPolygon);
  offset.Execute(grown, half);
  const outer = grown.reduce((most, one) => areaOf(one) > areaOf(most) ? one : most, []);
  const fewer = (0, import_simplify_js.default)(
    [...outer, outer[0]].map(({ X, Y }) => ({ x: X, y: Y })),
    half - 4,
    true
  ).slice(0, -1);
  const box = [[0, 0], [width, 0], [width, height], [0, height]].map(([x, y]) => ({ X: x / CLIP, Y: y / CLIP }));
  const [cut, ...more] = clipped(fewer.map(({ x, y }) => ({ X: x, Y: y })), box, import_clipper_lib2.default.ClipType.ctIntersection);
  if (!cut || more.length > 0 || cut.length >= ring.length) return ring;
  if (clipped(exact, cut, import_clipper_lib2.default.ClipType.ctDifference).reduce((sum2, one) => sum2 + areaOf(one), 0) > 0) return ring;
  return cut.map(({ X, Y }) => [Math.min(width, X * CLIP), Math.min(height, Y * CLIP)]);
}
function coarseOutline(ring, width, height) {
  const most = MOST_OUT * Math.min(width, height);
  let coarse = ring;
  for (let out = most / 4; coarse.length > MOST_CORNERS2 && out <= most; out *= 2) {
    const next = roundedOut(ring, width, height, out);
    if (next.length < coarse.length) coarse = next;
  }
  return coarse;
}
var areaOf = (path) => Math.abs(import_clipper_lib2.default.Clipper.Area(path));
function clipped(subject, clip, type) {
  const clipper = new import_clipper_lib2.default.Clipper();
  clipper.AddPath(subject, import_clipper_lib2.default.PolyType.ptSubject, true);
  clipper.AddPath(clip.map(({ X, Y }) => ({ X: Math.ceil(X), Y: Math.ceil(Y) })), import_clipper_lib2.default.PolyType.ptClip, true);
  const solution = [];
  clipper.Execute(type, solution);
  return solution;
}

// src/core/lay/parts.ts
function pieceParts(job) {
  return job.pieces.flatMap(({ id, qty, width, height, turns, match, outline }) => {
    const outlines = outline && {
      ring: roundedOut(outline, width, height),
      turns,
      area: areaOfPiece({ outline, width, height })
    };
    return Array.from({ length: qty }, (_, i) => ({
      width,
      height,
      turns: width !== height && turns.includes(90) ? turns.includes(0) ? [0, 90] : [90] : [0],
      match,
      piece: { id, copy: i + 1 },
      ...outlines && { outlines }
    }));
  });
}
var blocksOf = ({ ways }, way) => typeof way === "number" ? ways[way] : way;
var MOST_JOINED = 400;
var MOST_CUTS = 2e4;
var MOST_WAYS = 12;
var MOST_APART = 100;
function stripSets(job, expectedLength) {
  const impossible = [];
  const straight = [];
  const bias = [];
  const roll = job.stock.slice(-1);
  let biasFrom2 = roll;
  let cuts = 0;
  for (const strip of job.strips) {
    for (const want of wantsOf(strip)) {
      const from = whyNot(want, strip.grain, roll) ? job.stock : roll;
      const most = longestCut(strip.grain, from);
      const count = fewestCuts(want, most) ?? 0;
      const why = whyNot(want, strip.grain, from) ?? (cuts + count > MOST_CUTS ? `a lay has at most ${MOST_CUTS} cuts of strips` : null);
      if (!why) cuts += count;
      if (why) impossible.push({ want, why });
      else if (strip.grain !== "bias")
        straight.push({
          grain: strip.grain,
          wants: [want],
          ways: straightWays(want, most, expectedLength, strip.grain === "across")
        });
      else {
        bias.push(want);
        if (from !== roll) biasFrom2 = from;
      }
    }
  }
  const across = widest(biasFrom2);
  if (bias.length === 0) return { sets: [straight], impossible };
  const sorted = [...bias].sort((a, b) => b.width - a.width);
  const setOf = (some) => ({
    grain: "bias",
    wants: some,
    ways: biasWays(some, across, job.gap)
  });
  const together = setOf(sorted);
  const inOneBlock = [...straight, together];
  if (bias.length === 1 || bias.length > MOST_APART) return { sets: [inOneBlock], impossible };
  return { sets: [inOneBlock, [...straight, ...sorted.map((want) => setOf([want]))]], impossible };
}
var wantsOf = ({ id, qty, width, length, loss, least }) => Array.from({ length: qty }, (_, i) => ({ strip: id, copy: i + 1, width, length, loss, least }));
var widest = (stock) => Math.max(...stock.map(({ left, right }) => right - left));
function whyNot(want, grain, stock) {
  const most = longestCut(grain, stock);
  if (grain === "along" && want.width > widest(stock)) return "the strip is wider than the usable cloth";
  if (want.least > most) return "its shortest cut is longer than any cut can be";
  const cuts = fewestCuts(want, most);
  if (cuts === null || grain === "bias" && 2 * want.loss > most) return "each join would take all of a cut";
  if (cuts > MOST_JOINED) return `it would be joined from ${cuts} cuts, and ${MOST_JOINED} are the most`;
  return null;
}
function straightWays(want, most, expected, across) {
  const fewest = fewestCuts(want, most) ?? 1;
  const limit = Math.max(fewest, Math.floor(want.length / leastStraightCut(want)));
  const counts = across ? [fewest, fewest + 1, fewest + 2, fewest * 2] : [1, 2, 3, 4, 6, 8, 12].flatMap((part) => [Math.ceil(want.length / Math.max(1, expected / part)), part]).sort((a, b) => a - b);
  const ways = [];
  for (const n of new Set(counts.map((count) => Math.max(fewest, Math.min(limit, count))))) {
    for (const even of across && n === fewest ? [false, true] : [true]) {
      const lengths = cutLengths(want, n, most, even);
      if (lengths && lengths.length === n && n <= MOST_JOINED)
        ways.push(lengths.map((length) => straightBlock(want, length, across)));
    }
  }
  return ways.slice(0, MOST_WAYS);
}
var BIAS_PARTS = [1, 1 / 2, 1 / 3, 2 / 3, 1 / 4, 3 / 4, 2 / 5, 3 / 5, 4 / 5, 1 / 5, 0.45, 0.55, 0.37, 0.85];
var WORTH = 1.4;
function biasWays(wants, across, gap) {
  const area = ({ width, height }) => width * height;
  const blocks = BIAS_PARTS.flatMap(
    (part) => [false, true].flatMap((isLying) => biasBlock(Math.floor(across * part), wants, gap, isLying) ?? [])
  ).sort((a, b) => area(a) - area(b));
  const worthy = blocks.filter((block) => area(block) <= WORTH * area(blocks[0]));
  const widest2 = Math.max(...worthy.map(({ width }) => width));
  return [...worthy.filter(({ width }) => width === widest2), ...worthy.filter(({ width }) => width < widest2)].map(
    (block) => [block]
  );
}
var blockPart = (block) => ({
  width: block.width,
  height: block.height,
  turns: [0],
  match: null,
  block
});

// node_modules/quickselect/index.js
function quickselect(arr, k, left = 0, right = arr.length - 1, compare = defaultCompare) {
  while (right > left) {
    if (right - left > 600) {
      const n = right - left + 1;
      const m = k - left + 1;
      const z = Math.log(n);
      const s = 0.5 * Math.exp(2 * z / 3);
      const sd = 0.5 * Math.sqrt(z * s * (n - s) / n) * (m - n / 2 < 0 ? -1 : 1);
      const newLeft = Math.max(left, Math.floor(k - m * s / n + sd));
      const newRight = Math.min(right, Math.floor(k + (n - m) * s / n + sd));
      quickselect(arr, k, newLeft, newRight, compare);
    }
    const t = arr[k];
    let i = left;
    let j = right;
    swap(arr, left, k);
    if (compare(arr[right], t) > 0) swap(arr, left, right);
    while (i < j) {
      swap(arr, i, j);
      i++;
      j--;
      while (compare(arr[i], t) < 0) i++;
      while (compare(arr[j], t) > 0) j--;
    }
    if (compare(arr[left], t) === 0) swap(arr, left, j);
    else {
      j++;
      swap(arr, j, right);
    }
    if (j <= k) left = j + 1;
    if (k <= j) right = j - 1;
  }
}
function swap(arr, i, j) {
  const tmp = arr[i];
  arr[i] = arr[j];
  arr[j] = tmp;
}
function defaultCompare(a, b) {
  return a < b ? -1 : a > b ? 1 : 0;
}

// src/core/lay/skylines.ts
var Floors = class {
  x = [];
  w = [];
  level = [];
  /** The floor that each stands on, -1 for none. */
  under = [];
  /** A new one from `x`, `w` nm wide; its number. */
  add(x, w, level2, under) {
    this.x.push(x);
    this.w.push(w);
    this.level.push(level2);
    return this.under.push(under) - 1;
  }
  /** Leaves the cloth's lower edge alone, from `x` and `w` nm wide. */
  reset(x, w) {
    for (const list2 of [this.x, this.w, this.level, this.under]) list2.length = 0;
    this.add(x, w, 0, -1);
  }
};
var Skylines = class {
  constructor(size, most, floors = null) {
    this.most = most;
    this.floors = floors;
    this.x = new Float64Array(size * most);
    this.w = new Float64Array(size * most);
    this.y = new Float64Array(size * most);
    this.floor = new Int32Array(floors ? size * most : 0);
    this.count = new Uint16Array(size);
  }
  most;
  floors;
  x;
  w;
  y;
  /** With floors, the number of the one that each stands on. */
  floor;
  /** How many segments each skyline has. */
  count;
  /** Level cloth from `x`, `w` nm wide. */
  flatten(at, x, w) {
    const first = at * this.most;
    this.x[first] = x;
    this.w[first] = w;
    this.y[first] = 0;
    if (this.floors) this.floor[first] = 0;
    this.count[at] = 1;
  }
  /** Makes the skyline at `to` like that at `at`. */
  copy(to, at) {
    const { most } = this;
    const [first, end] = [at * most, at * most + this.count[at]];
    for (const list2 of this.floors ? [this.x, this.w, this.y, this.floor] : [this.x, this.w, this.y])
      list2.copyWithin(to * most, first, end);
    this.count[to] = this.count[at];
  }
  /** The number of the lowest segment, the first of them. */
  lowest(at) {
    const { y, most } = this;
    const first = at * most;
    let lowest = 0;
    for (let i = 1; i < this.count[at]; i++) if (y[first + i] < y[first + lowest]) lowest = i;
    return lowest;
  }
  highest(at) {
    const { y, most } = this;
    let highest = 0;
    for (let i = at * most, end = i + this.count[at]; i < end; i++) if (y[i] > highest) highest = y[i];
    return highest;
  }
  /** nm² between a skyline and a level above it. */
  openBelow(at, level2) {
    const { w, y, most } = this;
    let open = 0;
    for (let i = at * most, end = i + this.count[at]; i < end; i++) open += w[i] * (level2 - y[i]);
    return open;
  }
  /** How high the lower neighbour of a segment is, Infinity for none. */
  wallOf(at, segment) {
    const i = at * this.most + segment;
    const before = segment > 0 ? this.y[i - 1] : Infinity;
    const after = segment < this.count[at] - 1 ? this.y[i + 1] : Infinity;
    return Math.min(before, after);
  }
  /** Fills a segment up to a level; it is joined with neighbours that are as high. */
  raise(at, segment, level2) {
    this.y[at * this.most + segment] = level2;
    this.close(at);
  }
  /**
   * Makes the skyline at `to` what is left of that at `at` in `from` when a box lies on a segment, `px` its left side and `top` its
   * height. Slits narrower than `narrowest` are filled up to their lower wall; the area (nm²) that takes.
   */
  lay(to, from, at, segment, px, width, top, narrowest) {
    const first = to * this.most;
    const source = at * from.most;
    const [sx, sw, sy] = [from.x[source + segment], from.w[source + segment], from.y[source + segment]];
    const { floors } = this;
    let n = first;
    const add2 = (x, w, y) => {
      this.x[n] = x;
      this.w[n] = w;
      this.y[n] = y;
      n++;
    };
    const take = (i) => {
      if (floors) this.floor[n] = from.floor[i];
      add2(from.x[i], from.w[i], from.y[i]);
    };
    for (let i = source; i < source + segment; i++) take(i);
    const before = n;
    if (px > sx) add2(sx, px - sx, sy);
    add2(px, width, top);
    if (sx + sw > px + width) add2(px + width, sx + sw - px - width, sy);
    if (floors) {
      const on = from.floor[source + segment];
      const isNew = n - before > 1 && sy !== floors.level[on];
      this.floor.fill(isNew ? floors.add(sx, sw, sy, on) : on, before, n);
    }
    for (let i = source + segment + 1; i < source + from.count[at]; i++) take(i);
    this.count[to] = n - first;
    let filled = 0;
    for (let s = 0; s < n - first; s++) {
      if (this.w[first + s] >= narrowest) continue;
      const level2 = this.wallOf(to, s);
      if (level2 === Infinity || level2 <= this.y[first + s]) continue;
      filled += this.w[first + s] * (level2 - this.y[first + s]);
      this.y[first + s] = level2;
    }
    this.close(to);
    return filled;
  }
  /** Joins neighbours that are equally high and stand on one floor; what is level all over its floor stands on the one under it. */
  close(at) {
    const { x, w, y, floor, floors, most } = this;
    const first = at * most;
    let last = first - 1;
    for (let i = first, end = first + this.count[at]; i < end; i++) {
      last++;
      if (last < i) {
        x[last] = x[i];
        w[last] = w[i];
        y[last] = y[i];
        if (floors) floor[last] = floor[i];
      }
      for (let isOpen = true; isOpen; ) {
        isOpen = false;
        if (floors) {
          const on = floor[last];
          if (floors.under[on] >= 0 && y[last] > floors.level[on] && x[last] === floors.x[on] && w[last] === floors.w[on]) {
            floor[last] = floors.under[on];
            isOpen = true;
          }
        }
        if (last > first && y[last - 1] === y[last] && (!floors || floor[last - 1] === floor[last])) {
          last--;
          w[last] += w[last + 1];
          isOpen = floors !== null;
        }
      }
    }
    this.count[at] = last - first + 1;
  }
  /** A number that skylines which differ hardly ever share. */
  hash(at) {
    const { x, y, floor, floors, most } = this;
    let hash = 0;
    for (let i = at * most, end = i + this.count[at]; i < end; i++) {
      hash = Math.imul(hash ^ y[i] ^ y[i] / 4294967296, 2654435761);
      hash = Math.imul((hash ^ hash >>> 15) + (x[i] | 0), 2246822507);
      if (floors) hash = Math.imul(hash ^ floors.level[floor[i]], 3266489909);
    }
    return hash ^ hash >>> 13;
  }
};

// src/core/lay/beam.ts
var SPARE = 3;
var Level = class {
  /** `spare` more skylines are for what becomes of states before something is laid. */
  constructor(width, segments, kinds, spare = 0, floors = null) {
    this.kinds = kinds;
    this.skylines = new Skylines(width + spare, segments, floors);
    this.waste = new Float64Array(width + spare);
    this.counts = new Uint16Array(width * kinds);
    this.hash = new Int32Array(width);
  }
  kinds;
  size = 0;
  skylines;
  /** How many of each kind are left, kind by kind. */
  counts;
  hash;
  /** nm² of cloth that is passed without parts. */
  waste;
  /** What was laid last, with all before it. */
  chains = [];
  /** The one state with nothing laid yet. */
  start(x, w, counts) {
    this.size = 1;
    this.skylines.flatten(0, x, w);
    this.counts.set(counts);
    this.waste[0] = this.hash[0] = 0;
    this.chains[0] = { parent: null, kind: -1, way: null, px: 0, py: 0 };
  }
  /** Takes over how many are left from a state of another level, one of a kind less. */
  takeOne(to, from, at, kind) {
    const { kinds, counts } = this;
    for (let k = 0; k < kinds; k++) counts[to * kinds + k] = from.counts[at * kinds + k];
    counts[to * kinds + kind]--;
  }
  /** A number for what is left and the skyline that states which differ hardly ever share. */
  keyOf(at) {
    return (this.hash[at] >>> 0) * 2 ** 21 + (this.skylines.hash(at) >>> 11);
  }
};
var Children = class {
  size = 0;
  parent;
  segment;
  way;
  px;
  rank;
  constructor(most) {
    this.parent = new Int32Array(most);
    this.segment = new Uint16Array(most);
    this.way = new Uint16Array(most);
    this.px = new Float64Array(most);
    this.rank = new Float64Array(most);
  }
  /** Adds one; its number. */
  add(parent, segment, way, px, rank) {
    const i = this.size++;
    this.parent[i] = parent;
    this.segment[i] = segment;
    this.way[i] = way;
    this.px[i] = px;
    this.rank[i] = rank;
    return i;
  }
  move(to, from) {
    this.parent[to] = this.parent[from];
    this.segment[to] = this.segment[from];
    this.way[to] = this.way[from];
    this.px[to] = this.px[from];
    this.rank[to] = this.rank[from];
  }
  /** Keeps those that rank at least as high as number `most` from above; that rank. */
  keepBest(most) {
    const least = rankOf(this.rank.slice(0, this.size), most);
    let n = 0;
    for (let i = 0; i < this.size; i++) {
      if (this.rank[i] < least) continue;
      if (n < i) this.move(n, i);
      n++;
    }
    this.size = n;
    return least;
  }
  /** Their numbers: the best `most`, then the next best quarter of that, and so on, as they came within each of these. */
  *ranked(most) {
    const { rank } = this;
    let rest = Array.from({ length: this.size }, (_, i) => i);
    for (let take = most; rest.length > 0; take = Math.ceil(most / 4)) {
      const ranks = Float64Array.from(rest, (i) => rank[i]);
      const least = rest.length > take ? rankOf(ranks, take) : -Infinity;
      const others = [];
      for (const i of rest) {
        if (rank[i] >= least) yield i;
        else others.push(i);
      }
      rest = others;
    }
  }
};
function growBest(children, width, next, grow) {
  let size = 0;
  const seen = /* @__PURE__ */ new Set();
  if (children.size > SPARE * width) children.keepBest(SPARE * width);
  for (const child of children.ranked(width)) {
    grow(child, size);
    const key = next.keyOf(size);
    if (seen.has(key)) continue;
    seen.add(key);
    if (++size >= width) break;
  }
  return size;
}
function rankOf(ranks, most) {
  quickselect(ranks, ranks.length - most);
  return ranks[ranks.length - most];
}

// src/core/lay/corners.ts
var SAME2 = 4;
var JigsawLevel = class extends Level {
  constructor(width, segments, kinds, spare, floors) {
    super(width, segments, kinds, spare, floors);
    this.width = width;
    this.score = new Float64Array(width);
    this.stateOf = new Int32Array(width + spare);
  }
  width;
  phases = [];
  /** Bits of evidence. */
  score;
  /** Which state each skyline belongs to, and how many there are. */
  stateOf;
  skylineCount = 0;
  /** Makes the `size` states that have been made ready to be gone on from. */
  open(size) {
    this.size = size;
    this.skylineCount = this.width;
    for (let state = 0; state < size; state++) this.stateOf[state] = state;
    this.chains.length = this.phases.length = size;
  }
  /** Another skyline like that; its number. */
  copyOf(slot) {
    const to = this.skylineCount++;
    this.skylines.copy(to, slot);
    this.stateOf[to] = this.stateOf[slot];
    this.waste[to] = this.waste[slot];
    return to;
  }
};
var Choices = class {
  constructor(most, isRight2) {
    this.isRight = isRight2;
    this.entry = new Uint16Array(most);
    this.waste = new Float64Array(most);
  }
  isRight;
  count = 0;
  /** Whether they all are on a phase that is known, and no others are to be looked at. */
  isBound = false;
  segment = -1;
  /** How high the wall is that a slit beside a part there has at its other side (nm). */
  wall = Infinity;
  entry;
  waste;
  /** Empties the list for a corner of that segment. */
  start(segment, wall) {
    this.count = 0;
    this.isBound = false;
    this.segment = segment;
    this.wall = wall;
  }
  add(entry, waste) {
    this.entry[this.count] = entry;
    this.waste[this.count++] = waste;
  }
};
var Corners = class {
  /** The lengths that lie on the cloth are `width` across at most, and `longest` along; the gap with it. */
  constructor(job, kinds, width, longest) {
    this.job = job;
    this.kinds = kinds;
    const { lattice, stock } = job;
    const [{ left, motif }] = stock;
    const area = kinds.reduce((sum2, { ways, members }) => sum2 + members.length * ways[0].w * ways[0].h, 0);
    const meanArea = area / kinds.reduce((sum2, { members }) => sum2 + members.length, 0);
    const entries = kinds.flatMap(({ ways, shift }, kind) => ways.map((way) => ({ kind, way, size: way.w * way.h / meanArea, shift }))).sort((a, b) => a.way.w - b.way.w);
    this.near = this.view = viewOf(lattice, [motif[0] - left, motif[1]], entries);
    const numbers = (isOne) => Uint16Array.from(entries.flatMap(({ kind }, e) => isOne(kinds[kind]) ? [e] : []));
    this.fixed = numbers(({ fixed }) => fixed !== null);
    this.grouped = numbers(({ fixed, group }) => fixed === null && group >= 0);
    this.free = numbers(({ fixed, group }) => fixed === null && group < 0);
    this.kindOf = Uint16Array.from(entries, ({ kind }) => kind);
    this.groupOf = Int16Array.from(entries, ({ kind }) => kinds[kind].group);
    this.w = Float64Array.from(entries, ({ way }) => way.w);
    this.h = Float64Array.from(entries, ({ way }) => way.h);
    const sides = kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h]));
    this.narrowest = Math.min(...kinds.flatMap(({ ways }) => ways.map(({ w }) => w)));
    this.step = [width, ...sides].reduce(greatestCommon);
    this.sumsAcross = subsetSums(kinds, width, this.step, ({ w }) => w);
    this.sumsAlong = subsetSums(kinds, longest, this.step, ({ h }) => h);
    this.choices = Array.from({ length: 6 }, (_, i) => new Choices(entries.length, i % 2 === 1));
  }
  job;
  kinds;
  /** From the near end, and in the run in hand. */
  near;
  view;
  /** Of all ways of parts. */
  narrowest;
  /** What all sides are multiples of. */
  step;
  /** The width and the height of each entry, the gap with it. */
  w;
  h;
  sumsAcross;
  sumsAlong;
  /** The entries by what the pattern asks of them: fixed by it, of a group, or free; then the kind and the group of each. */
  fixed;
  grouped;
  free;
  kindOf;
  groupOf;
  /** Lists that are used by turns: two for each side are kept, one filled. */
  choices;
  filling = { height: 0, budget: 0, isForcing: false };
  isTight = false;
  /** Begins a run: `far` (nm) is how long the lay is to be when it is filled from its far end, null from the near one. */
  start(filling, far) {
    this.filling = filling;
    this.isTight = filling.budget < this.step * this.step;
    this.view = far === null ? this.near : this.fromFarEnd(far);
  }
  fromFarEnd(target) {
    const { lattice, motif, entries } = this.near;
    const { gap } = this.job;
    return viewOf(
      lattice && { ...lattice, shift: -lattice.shift },
      [motif[0], target - motif[1]],
      entries.map((one) => ({ ...one, shift: [one.shift[0], one.way.h - gap - one.shift[1]] }))
    );
  }
  /** The corner with the fewest choices, and that with the fewest of those which must be taken. */
  fewestChoices(now, slot) {
    const spare = this.choices.slice();
    let fewest = null;
    let forced = null;
    for (const s of this.valleysOf(now, slot)) {
      const [left, right] = [spare.find(({ isRight: isRight2 }) => !isRight2), spare.find(({ isRight: isRight2 }) => isRight2)];
      this.look(now, slot, s, left, right, fewest?.count ?? Infinity);
      for (const found of [left, right]) {
        const least = found.isBound ? forced : fewest;
        if (least && found.count >= least.count) continue;
        spare.splice(spare.indexOf(found), 1);
        if (least) spare.push(least);
        if (found.isBound) forced = found;
        else fewest = found;
      }
      if (forced?.count === 1 || fewest?.count === 0) break;
    }
    return { fewest, forced };
  }
  /** The stretches of the skyline that have no lower neighbour, narrow ones first: they have few choices, by which others are given up early. */
  valleysOf(now, slot) {
    const { y, w, most, count } = now.skylines;
    const first = slot * most;
    const n = count[slot];
    const valleys = [];
    for (let s = 0; s < n; s++) {
      const i = first + s;
      if (s > 0 && y[i - 1] < y[i] || s < n - 1 && y[i + 1] < y[i]) continue;
      let k = valleys.length;
      for (; k > 0 && w[first + valleys[k - 1]] > w[i]; k--) valleys[k] = valleys[k - 1];
      valleys[k] = s;
    }
    return valleys;
  }
  /** Finds what fits the two corners of a valley: where forcing, what is on a known phase alone, if any is; up to `most` others. */
  look(now, slot, s, left, right, most) {
    const { free, w } = this;
    const { skylines } = now;
    const i = slot * skylines.most + s;
    const [x, width, y] = [skylines.x[i], skylines.w[i], skylines.y[i]];
    const leftWall = s > 0 ? skylines.y[i - 1] : Infinity;
    const rightWall = s < skylines.count[slot] - 1 ? skylines.y[i + 1] : Infinity;
    left.start(s, rightWall);
    right.start(s, leftWall);
    if (this.view.lattice) {
      this.lookAtPhases(now, slot, x, width, y, left, most);
      this.lookAtPhases(now, slot, x + width, width, y, right, most);
    }
    const isLeft2 = !left.isBound && left.count < most;
    const isRight2 = !right.isBound && right.count < most;
    if (!isLeft2 && !isRight2) return;
    const widest2 = width - this.narrowest;
    for (let k = 0; k < free.length; k++) {
      const e = free[k];
      const wide = w[e];
      if (wide > width) return;
      if (!this.canLie(now, slot, e, width, y)) continue;
      const isSlit = wide > widest2 && wide < width;
      if (isLeft2) {
        if (isSlit) this.choose(now, slot, e, width, y, left);
        else left.add(e, 0);
      }
      if (isRight2) {
        if (isSlit) this.choose(now, slot, e, width, y, right);
        else right.add(e, 0);
      }
      if (left.count >= most && right.count >= most) return;
    }
  }
  /** What fits a corner at `x` of what the pattern binds. */
  lookAtPhases(now, slot, x, width, y, found, most) {
    const { fixed, grouped, groupOf, w } = this;
    const { isRight: isRight2 } = found;
    const lattice = this.view.lattice;
    const [ax, ay] = phaseOf(x, y, lattice);
    const corners = this.view.corners[isRight2 ? 1 : 0];
    for (let k = 0; k < fixed.length; k++) {
      const e = fixed[k];
      if (w[e] > width) break;
      const off = Math.abs(ax - corners[2 * e]);
      if (off > SAME2 && off < lattice.across - SAME2) continue;
      if (off <= SAME2) {
        const aside = Math.abs(ay - corners[2 * e + 1]);
        if (aside > SAME2 && aside < lattice.along - SAME2) continue;
      } else if (!this.isExact(isRight2 ? x - w[e] : x, y, e, null)) continue;
      if (this.canLie(now, slot, e, width, y)) this.choose(now, slot, e, width, y, found);
    }
    const phases = now.phases[now.stateOf[slot]];
    for (const isKnown of [true, false]) {
      for (let k = 0; k < grouped.length; k++) {
        const e = grouped[k];
        if (w[e] > width) break;
        const phase = phases[groupOf[e]];
        if (isKnown !== (phase !== null)) continue;
        if (phase && !this.isExact(isRight2 ? x - w[e] : x, y, e, phase)) continue;
        if (this.canLie(now, slot, e, width, y)) this.choose(now, slot, e, width, y, found);
      }
      if (isKnown) found.isBound = this.filling.isForcing && found.count > 0;
      if (found.isBound || found.count >= most) return;
    }
  }
  /** Whether an entry is left, is not too high, and what it leaves beside and above it can be filled where nothing may be wasted. */
  canLie(now, slot, e, width, y) {
    const top = y + this.h[e];
    if (top > this.filling.height || now.counts[now.stateOf[slot] * this.kinds.length + this.kindOf[e]] === 0)
      return false;
    return !this.isTight || this.canFill(this.sumsAlong, this.filling.height - top) && this.canFill(this.sumsAcross, width - this.w[e]);
  }
  /** Counts an entry among the choices unless a slit beside it wastes too much. */
  choose(now, slot, e, width, y, found) {
    const rest = width - this.w[e];
    const isSlit = rest > 0 && rest < this.narrowest;
    const waste = isSlit ? rest * (Math.min(y + this.h[e], found.wall) - y) : 0;
    if (now.waste[slot] + waste > this.filling.budget) return;
    found.add(e, waste);
  }
  /** True when a part's phase is right with its corner there: its group's, or where that is null, the motif point's. */
  isExact(x, y, entry, own) {
    const { motif, entries } = this.view;
    const { shift } = entries[entry];
    const lattice = this.view.lattice;
    const [fx, fy] = [x + shift[0] - motif[0] - (own?.[0] ?? 0), y + shift[1] - motif[1] - (own?.[1] ?? 0)];
    let column = 0;
    if (lattice.across > 0) {
      column = Math.round(fx / lattice.across);
      if (Math.abs(fx - column * lattice.across) > SAME2) return false;
    }
    if (lattice.along === 0) return true;
    const off = fy - column * lattice.shift;
    return Math.abs(off - Math.round(off / lattice.along) * lattice.along) <= SAME2;
  }
  canFill(sums, length) {
    if (length === 0 || !sums) return true;
    const at = length / this.step;
    return at < sums.length && sums[at] === 1;
  }
};
function viewOf(lattice, motif, entries) {
  const corners = [0, 1].map(
    (side2) => Float64Array.from(
      lattice ? entries.flatMap(({ way, shift }) => phaseOf(motif[0] - shift[0] + side2 * way.w, motif[1] - shift[1], lattice)) : []
    )
  );
  return { lattice, motif, entries, corners };
}

// src/core/lay/jigsaw.ts
var SELDOM = 0.5;
var NOISE = 2;
var MOST_LEVELLED = 6;
var MOST_OFFERED = 2;
var MOST_SEGMENTS = 4e6;
var MOST_LAYS = 12;
var JigsawChildren = class extends Children {
  gain;
  waste;
  constructor(most) {
    super(most);
    this.gain = new Float64Array(most);
    this.waste = new Float64Array(most);
  }
  move(to, from) {
    super.move(to, from);
    this.gain[to] = this.gain[from];
    this.waste[to] = this.waste[from];
  }
};
function wasteAt({ gap, stock }, parts, target) {
  const area = parts.reduce((sum2, { width, height }) => sum2 + (width + gap) * (height + gap), 0);
  const waste = (stock[0].right - stock[0].left + gap) * (target + gap) - area;
  return Math.abs(waste) <= 1e-9 * area ? 0 : waste;
}
function canFillExactly(job, parts, target) {
  const { gap } = job;
  const sides = parts.flatMap(({ width, height, turns }) => turns.length > 1 ? [width, height] : turns[0] === 90 ? [width] : [height]);
  const step = sides.map((side2) => side2 + gap).reduce(greatestCommon);
  return (target + gap) % step === 0 && wasteAt(job, parts, target) === 0;
}
var Jigsaw = class {
  constructor(job, parts, random, longest) {
    this.job = job;
    this.parts = parts;
    this.random = random;
    const { gap, lattice, stock } = job;
    const [{ left, right }] = stock;
    this.left = left;
    this.width = right - left + gap;
    const gathered = gatherKinds(job, parts);
    this.kinds = gathered.kinds;
    this.groups = gathered.groups;
    this.area = this.kinds.reduce((sum2, { ways, members }) => sum2 + members.length * ways[0].w * ways[0].h, 0);
    this.corners = new Corners(job, this.kinds, this.width, longest + gap);
    const grid = Math.max(this.corners.step, this.width / 2e3);
    const chance = (lattice && lattice.across > 0 ? Math.min(1, grid / lattice.across) : 1) * (lattice && lattice.along > 0 ? Math.min(1, grid / lattice.along) : 1);
    this.phaseBits = -Math.log2(chance);
    this.widthBits = Math.log2(this.width / grid);
    this.canForce = chance * parts.length < SELDOM;
    this.keys = Int32Array.from({ length: this.kinds.length }, () => Math.floor(random.next() * 2 ** 31) | 1);
    this.floors = job.straight ? new Floors() : null;
    this.now = this.next = this.levelOf(0);
    this.children = new JigsawChildren(0);
  }
  job;
  parts;
  random;
  kinds;
  groups;
  corners;
  left;
  width;
  area;
  phaseBits;
  widthBits;
  /** Whether hardly any part would be on its phase by chance: what is may be taken without looking at others. */
  canForce;
  keys;
  floors;
  now;
  next;
  children;
  largeFirst = 1;
  /** How far the run in hand may reach and what it may waste (nm²), the gap with it. */
  height = 0;
  budget = 0;
  /** What ranks lower in this level need not be looked at. */
  least = -Infinity;
  /** The most segments that a skyline has. */
  get segments() {
    const all = 2 * this.parts.length + 1;
    return this.floors ? all : Math.min(Math.floor(this.width / this.corners.narrowest), all) + 3;
  }
  levelOf(width) {
    return new JigsawLevel(width, this.segments, this.kinds.length, MOST_OFFERED * width, this.floors);
  }
  /**
   * Looks for a lay of at most `target` nm with a beam of `width` states. Yields after each level how many states it has
   * kept; returns the best of the last states: they hold all parts when it has found one, and else as many as it could place
   * (their number is the level). `isForcing`: what fits by a small chance is taken without looking at others. `largeFirst`:
   * so many bits the area of a mean part counts beside the bits of evidence. `isFlipped`: the lay is filled from its far end.
   */
  *run(target, width, isForcing, largeFirst = 1, isFlipped = false) {
    const hair = 1e-9 * this.area;
    this.height = target + this.job.gap;
    const free = this.width * this.height - this.area;
    if (free < -hair) return [];
    this.budget = Math.max(0, free) + hair;
    this.largeFirst = largeFirst;
    const filling = { height: this.height, budget: this.budget, isForcing: isForcing && this.canForce };
    this.corners.start(filling, isFlipped ? target : null);
    const widest2 = Math.ceil(MOST_SEGMENTS / (this.segments * (1 + MOST_OFFERED)));
    const lays = yield* this.fill(Math.min(width, widest2));
    if (!isFlipped) return lays;
    for (const { stock, y, turned } of lays) {
      this.parts.forEach(({ width: w, height: h }, i) => {
        if (stock[i] === 0) y[i] = target - y[i] - (turned[i] === 1 ? w : h);
      });
    }
    return lays;
  }
  *fill(width) {
    this.now = this.levelOf(width);
    this.next = this.levelOf(width);
    const most = 12 * width;
    this.children = new JigsawChildren(most + MOST_OFFERED * this.corners.w.length);
    this.floors?.reset(0, this.width);
    this.now.start(0, this.width, this.kinds.map(({ members }) => members.length));
    this.now.phases[0] = Array.from({ length: this.groups }, () => null);
    this.now.score[0] = 0;
    this.now.open(1);
    for (let level2 = 0; level2 < this.parts.length; level2++) {
      this.children.size = 0;
      this.least = -Infinity;
      for (let state = 0; state < this.now.size; state++) {
        this.expand(state);
        if (this.children.size >= most) this.least = this.children.keepBest(3 * width);
      }
      if (this.children.size === 0) break;
      this.goOn(width);
      yield this.now.size;
    }
    const { chains, size } = this.now;
    const best = Array.from({ length: size }, (_, i) => i).sort((a, b) => this.now.score[b] - this.now.score[a]);
    return best.slice(0, MOST_LAYS).map((state) => layOf(chains[state], this.kinds, this.parts.length, 0, this.left));
  }
  /** Makes the best children the states of the next level. */
  goOn(width) {
    const { next } = this;
    next.open(growBest(this.children, width, next, (child, to) => this.grow(child, to)));
    this.next = this.now;
    this.now = next;
  }
  /** All that may be put into one valley of a state: the one with the fewest choices. A valley that takes nothing is levelled. */
  expand(state) {
    const { now } = this;
    const { skylines } = now;
    let slot = state;
    let isOffered = true;
    let offered = 0;
    for (let tries = 0; tries < MOST_LEVELLED; tries++) {
      const { fewest, forced } = this.corners.fewestChoices(now, slot);
      if (fewest?.count !== 0) {
        isOffered = true;
        this.offer(slot, forced ?? fewest);
        if (forced || ++offered >= MOST_OFFERED) return;
      }
      const s = fewest.segment;
      const i = slot * skylines.most + s;
      const level2 = this.lowerWall(slot, s);
      const lost = skylines.w[i] * (level2 - skylines.y[i]);
      if (level2 === Infinity || now.waste[slot] + lost > this.budget || level2 > this.height) return;
      if (isOffered) slot = now.copyOf(slot);
      isOffered = false;
      now.waste[slot] += lost;
      skylines.raise(slot, s, level2);
    }
  }
  /** The lower of the neighbours that are higher than a valley, Infinity for none. */
  lowerWall(slot, s) {
    const { y, most, count } = this.now.skylines;
    const i = slot * most + s;
    const before = s > 0 && y[i - 1] > y[i] ? y[i - 1] : Infinity;
    const after = s < count[slot] - 1 && y[i + 1] > y[i] ? y[i + 1] : Infinity;
    return Math.min(before, after);
  }
  /** Makes children of the choices that rank high enough in this level so far. */
  offer(slot, { count, segment: s, isRight: isRight2, entry, waste }) {
    const { now, children, random, floors, corners } = this;
    const { skylines } = now;
    const state = now.stateOf[slot];
    const i = slot * skylines.most + s;
    const [isFirst, isLast] = [s === 0, s === skylines.count[slot] - 1];
    const [sx, width, sy] = [skylines.x[i], skylines.w[i], skylines.y[i]];
    const leftWall = isFirst ? Infinity : skylines.y[i - 1];
    const rightWall = isLast ? Infinity : skylines.y[i + 1];
    const floor = skylines.floor[i];
    const isOnFloor = !floors || sy === floors.level[floor];
    const isLeft2 = !floors || !isFirst && skylines.floor[i - 1] === floor;
    const isBeside = !floors || !isLast && skylines.floor[i + 1] === floor;
    const perWaste = 2 * Math.sqrt(this.parts.length) / (this.budget + 1);
    for (let k = 0; k < count; k++) {
      const e = entry[k];
      const { kind, size } = corners.view.entries[e];
      const { fixed, group } = this.kinds[kind];
      const rest = width - corners.w[e];
      const top = sy + corners.h[e];
      const isOn = isOnFloor || rest === 0;
      let bits = fixed || group >= 0 && now.phases[state][group] ? this.phaseBits : 0;
      if (rest === 0) bits += this.widthBits * 0.6;
      if (top === leftWall && isOn && isLeft2 && (!isRight2 || rest === 0)) bits += this.widthBits * 0.4;
      if (top === rightWall && isOn && isBeside && (isRight2 || rest === 0)) bits += this.widthBits * 0.4;
      if (top === this.height) bits += this.widthBits * 0.2;
      const gain = bits + this.largeFirst * size;
      const wasted = now.waste[slot] + waste[k];
      const rank = now.score[state] + gain - wasted * perWaste + random.next() * NOISE;
      if (rank < this.least) continue;
      const child = children.add(slot, s, e, isRight2 ? sx + rest : sx, rank);
      children.gain[child] = gain;
      children.waste[child] = wasted;
    }
  }
  /** Makes a child a state of the next level. */
  grow(child, to) {
    const { now, next, children } = this;
    const slot = children.parent[child];
    const s = children.segment[child];
    const px = children.px[child];
    const state = now.stateOf[slot];
    const { kind, way, shift } = this.corners.view.entries[children.way[child]];
    const py = now.skylines.y[slot * now.skylines.most + s];
    next.skylines.lay(to, now.skylines, slot, s, px, way.w, py + way.h, this.corners.narrowest);
    next.takeOne(to, now, state, kind);
    next.waste[to] = children.waste[child];
    next.score[to] = now.score[state] + children.gain[child];
    next.hash[to] = now.hash[state] + this.keys[kind];
    next.chains[to] = { parent: now.chains[state], kind, way, px, py };
    next.phases[to] = now.phases[state];
    const { group } = this.kinds[kind];
    const { lattice, motif } = this.corners.view;
    if (group < 0 || !lattice || next.phases[to][group]) return;
    const [x, y] = phaseOf(px + shift[0] - motif[0], py + shift[1] - motif[1], lattice);
    next.phases[to] = next.phases[to].with(group, [x, y]);
    next.hash[to] += Math.imul(Math.round(x * 7 + y * 13), this.keys[group]);
  }
};

// src/core/lay/random.ts
var Random = class {
  constructor(state) {
    this.state = state;
  }
  state;
  /** At least 0 and less than 1. */
  next() {
    this.state = this.state + 1831565813 | 0;
    let t = Math.imul(this.state ^ this.state >>> 15, 1 | this.state);
    t = t + Math.imul(t ^ t >>> 7, 61 | t) ^ t;
    return ((t ^ t >>> 14) >>> 0) / 4294967296;
  }
  /** A whole number from 0 to n - 1. */
  below(n) {
    return Math.floor(this.next() * n);
  }
};

// node_modules/poly-decomp-es/dist/poly-decomp-es.js
function lineSegmentsIntersect(p1, p2, q1, q2) {
  const dx = p2[0] - p1[0];
  const dy = p2[1] - p1[1];
  const da = q2[0] - q1[0];
  const db = q2[1] - q1[1];
  if (da * dy - db * dx === 0) {
    return false;
  }
  const s = (dx * (q1[1] - p1[1]) + dy * (p1[0] - q1[0])) / (da * dy - db * dx);
  const t = (da * (p1[1] - q1[1]) + db * (q1[0] - p1[0])) / (db * dx - da * dy);
  return s >= 0 && s <= 1 && t >= 0 && t <= 1;
}
function triangleArea(a, b, c) {
  return (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
}
function isLeft(a, b, c) {
  return triangleArea(a, b, c) > 0;
}
function isLeftOn(a, b, c) {
  return triangleArea(a, b, c) >= 0;
}
function isRight(a, b, c) {
  return triangleArea(a, b, c) < 0;
}
function isRightOn(a, b, c) {
  return triangleArea(a, b, c) <= 0;
}
function sqdist(a, b) {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  return dx * dx + dy * dy;
}
function polygonAt(polygon, i) {
  const s = polygon.length;
  return polygon[i < 0 ? i % s + s : i % s];
}
function polygonAppend(polygon, poly, from, to) {
  for (let i = from; i < to; i++) {
    polygon.push(poly[i]);
  }
}
function makeCCW(polygon) {
  let br = 0;
  const v = polygon;
  for (let i = 1; i < polygon.length; ++i) {
    if (v[i][1] < v[br][1] || v[i][1] === v[br][1] && v[i][0] > v[br][0]) {
      br = i;
    }
  }
  if (!isLeft(polygonAt(polygon, br - 1), polygonAt(polygon, br), polygonAt(polygon, br + 1))) {
    polygonReverse(polygon);
    return true;
  } else {
    return false;
  }
}
function polygonReverse(polygon) {
  const tmp = [];
  const N = polygon.length;
  for (let i = 0; i !== N; i++) {
    tmp.push(polygon.pop());
  }
  for (let i = 0; i !== N; i++) {
    polygon[i] = tmp[i];
  }
}
function polygonIsReflex(polygon, i) {
  return isRight(polygonAt(polygon, i - 1), polygonAt(polygon, i), polygonAt(polygon, i + 1));
}
function polygonCanSee2(polygon, a, b) {
  for (let i = 0; i !== polygon.length; ++i) {
    if (i === a || i === b || (i + 1) % polygon.length === a || (i + 1) % polygon.length === b) {
      continue;
    }
    if (lineSegmentsIntersect(polygonAt(polygon, a), polygonAt(polygon, b), polygonAt(polygon, i), polygonAt(polygon, i + 1))) {
      return false;
    }
  }
  return true;
}
function getIntersectionPoint(p1, p2, q1, q2, delta) {
  if (delta === void 0) {
    delta = 0;
  }
  const a1 = p2[1] - p1[1];
  const b1 = p1[0] - p2[0];
  const c1 = a1 * p1[0] + b1 * p1[1];
  const a2 = q2[1] - q1[1];
  const b2 = q1[0] - q2[0];
  const c2 = a2 * q1[0] + b2 * q1[1];
  const det = a1 * b2 - a2 * b1;
  if (!scalarsEqual(det, 0, delta)) {
    return [(b2 * c1 - b1 * c2) / det, (a1 * c2 - a2 * c1) / det];
  } else {
    return [0, 0];
  }
}
function quickDecomp(polygon, result, reflexVertices, steinerPoints, delta, maxlevel, level2) {
  if (result === void 0) {
    result = [];
  }
  if (reflexVertices === void 0) {
    reflexVertices = [];
  }
  if (steinerPoints === void 0) {
    steinerPoints = [];
  }
  if (delta === void 0) {
    delta = 25;
  }
  if (maxlevel === void 0) {
    maxlevel = 100;
  }
  if (level2 === void 0) {
    level2 = 0;
  }
  let upperInt = [0, 0];
  let lowerInt = [0, 0];
  let p = [0, 0];
  let upperDist = 0;
  let lowerDist = 0;
  let d = 0;
  let closestDist = 0;
  let upperIndex = 0;
  let lowerIndex = 0;
  let closestIndex = 0;
  const lowerPoly = [];
  const upperPoly = [];
  const poly = polygon;
  const v = polygon;
  if (v.length < 3) {
    return result;
  }
  level2++;
  if (level2 > maxlevel) {
    console.warn("quickDecomp: max level (" + maxlevel + ") reached.");
    return result;
  }
  for (let i = 0; i < polygon.length; ++i) {
    if (polygonIsReflex(poly, i)) {
      reflexVertices.push(poly[i]);
      upperDist = lowerDist = Number.MAX_VALUE;
      for (let j = 0; j < polygon.length; ++j) {
        if (isLeft(polygonAt(poly, i - 1), polygonAt(poly, i), polygonAt(poly, j)) && isRightOn(polygonAt(poly, i - 1), polygonAt(poly, i), polygonAt(poly, j - 1))) {
          p = getIntersectionPoint(polygonAt(poly, i - 1), polygonAt(poly, i), polygonAt(poly, j), polygonAt(poly, j - 1));
          if (isRight(polygonAt(poly, i + 1), polygonAt(poly, i), p)) {
            d = sqdist(poly[i], p);
            if (d < lowerDist) {
              lowerDist = d;
              lowerInt = p;
              lowerIndex = j;
            }
          }
        }
        if (isLeft(polygonAt(poly, i + 1), polygonAt(poly, i), polygonAt(poly, j + 1)) && isRightOn(polygonAt(poly, i + 1), polygonAt(poly, i), polygonAt(poly, j))) {
          p = getIntersectionPoint(polygonAt(poly, i + 1), polygonAt(poly, i), polygonAt(poly, j), polygonAt(poly, j + 1));
          if (isLeft(polygonAt(poly, i - 1), polygonAt(poly, i), p)) {
            d = sqdist(poly[i], p);
            if (d < upperDist) {
              upperDist = d;
              upperInt = p;
              upperIndex = j;
            }
          }
        }
      }
      if (lowerIndex === (upperIndex + 1) % polygon.length) {
        p[0] = (lowerInt[0] + upperInt[0]) / 2;
        p[1] = (lowerInt[1] + upperInt[1]) / 2;
        steinerPoints.push(p);
        if (i < upperIndex) {
          polygonAppend(lowerPoly, poly, i, upperIndex + 1);
          lowerPoly.push(p);
          upperPoly.push(p);
          if (lowerIndex !== 0) {
            polygonAppend(upperPoly, poly, lowerIndex, poly.length);
          }
          polygonAppend(upperPoly, poly, 0, i + 1);
        } else {
          if (i !== 0) {
            polygonAppend(lowerPoly, poly, i, poly.length);
          }
          polygonAppend(lowerPoly, poly, 0, upperIndex + 1);
          lowerPoly.push(p);
          upperPoly.push(p);
          polygonAppend(upperPoly, poly, lowerIndex, i + 1);
        }
      } else {
        if (lowerIndex > upperIndex) {
          upperIndex += polygon.length;
        }
        closestDist = Number.MAX_VALUE;
        if (upperIndex < lowerIndex) {
          return result;
        }
        for (let j = lowerIndex; j <= upperIndex; ++j) {
          if (isLeftOn(polygonAt(poly, i - 1), polygonAt(poly, i), polygonAt(poly, j)) && isRightOn(polygonAt(poly, i + 1), polygonAt(poly, i), polygonAt(poly, j))) {
            d = sqdist(polygonAt(poly, i), polygonAt(poly, j));
            if (d < closestDist && polygonCanSee2(poly, i, j)) {
              closestDist = d;
              closestIndex = j % polygon.length;
            }
          }
        }
        if (i < closestIndex) {
          polygonAppend(lowerPoly, poly, i, closestIndex + 1);
          if (closestIndex !== 0) {
            polygonAppend(upperPoly, poly, closestIndex, v.length);
          }
          polygonAppend(upperPoly, poly, 0, i + 1);
        } else {
          if (i !== 0) {
            polygonAppend(lowerPoly, poly, i, v.length);
          }
          polygonAppend(lowerPoly, poly, 0, closestIndex + 1);
          polygonAppend(upperPoly, poly, closestIndex, i + 1);
        }
      }
      if (lowerPoly.length < upperPoly.length) {
        quickDecomp(lowerPoly, result, reflexVertices, steinerPoints, delta, maxlevel, level2);
        quickDecomp(upperPoly, result, reflexVertices, steinerPoints, delta, maxlevel, level2);
      } else {
        quickDecomp(upperPoly, result, reflexVertices, steinerPoints, delta, maxlevel, level2);
        quickDecomp(lowerPoly, result, reflexVertices, steinerPoints, delta, maxlevel, level2);
      }
      return result;
    }
  }
  result.push(polygon);
  return result;
}
function scalarsEqual(a, b, precision) {
  if (precision === void 0) {
    precision = 0;
  }
  precision = precision || 0;
  return Math.abs(a - b) <= precision;
}

// src/core/lay/clearances.ts
var boxShape = (width, height, keepsGap = true) => ({
  width,
  height,
  parts: [boxRing(width, height)],
  ring: boxRing(width, height),
  keepsGap
});
var boxRing = (w, h) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h]
];
function ringShape(ring, width, height) {
  const scale = Math.max(width, height);
  const scaled = ring.map(([x, y]) => [x / scale, y / scale]);
  makeCCW(scaled);
  const parts = quickDecomp(scaled).map((part) => part.map(([x, y]) => [x * scale, y * scale]));
  const area = Math.abs(doubleArea(ring));
  const covered = parts.reduce((sum2, part) => sum2 + doubleArea(part), 0);
  return Math.abs(covered - area) <= 1e-6 * area && parts.every(isConvex2) ? { width, height, parts, ring: doubleArea(ring) > 0 ? ring : [...ring].reverse(), keepsGap: true } : boxShape(width, height);
}
function isConvex2(ring) {
  const n = ring.length;
  return ring.every((b, i) => {
    const [a, c] = [ring[(i + n - 1) % n], ring[(i + 1) % n]];
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
    return ux * vy - uy * vx >= -1e-9 * (Math.hypot(ux, uy) * Math.hypot(vx, vy));
  });
}
var HEAD = 2;
var Clearances = class {
  constructor(shapes, gap) {
    this.shapes = shapes;
    this.gap = gap;
    this.known = new Array(shapes.length ** 2);
  }
  shapes;
  gap;
  /**
   * For each pair of shapes its convex no-fit polygons one after another: where the next one begins, which half-plane t lay
   * beyond last time, and the half-planes n·t < d as nx, ny, d. Flat, since these are looked up more than all else.
   */
  known;
  /** Where the deepest place found by `depth` can be left: its unit normal. */
  out = [0, 0];
  /** How deep (nm) shape b at (dx, dy) lies in shape a at the origin; 0 when they are free of each other. */
  depth(a, b, dx, dy) {
    const noFit = this.noFit(a, b);
    let deepest = 0;
    for (let start = 0, end = 0; start < noFit.length; start = end) {
      end = noFit[start];
      const last = noFit[start + 1];
      if (noFit[last + 2] - noFit[last] * dx - noFit[last + 1] * dy <= deepest) continue;
      let least = Infinity;
      let at = 0;
      for (let e = start + HEAD; e < end; e += 3) {
        const inside = noFit[e + 2] - noFit[e] * dx - noFit[e + 1] * dy;
        if (inside >= least) continue;
        least = inside;
        at = e;
        if (least > deepest) continue;
        noFit[start + 1] = e;
        break;
      }
      if (least > deepest) {
        deepest = least;
        this.out[0] = noFit[at];
        this.out[1] = noFit[at + 1];
      }
    }
    return deepest;
  }
  /** Whether shape b at (dx, dy) lies deeper (nm) in shape a at the origin than that. */
  overlaps(a, b, dx, dy, deeper) {
    const noFit = this.noFit(a, b);
    next: for (let start = 0, end = 0; start < noFit.length; start = end) {
      end = noFit[start];
      const last = noFit[start + 1];
      if (noFit[last + 2] - noFit[last] * dx - noFit[last + 1] * dy <= deeper) continue;
      for (let e = start + HEAD; e < end; e += 3) {
        if (noFit[e + 2] - noFit[e] * dx - noFit[e + 1] * dy > deeper) continue;
        noFit[start + 1] = e;
        continue next;
      }
      return true;
    }
    return false;
  }
  corners = [];
  /** Corners (x, y, x, y, … nm) of the no-fit polygons: places of shape b where it touches a corner or an edge's end of shape a. */
  cornersOf(a, b) {
    return this.corners[a * this.shapes.length + b] ??= cornersOf(this.noFit(a, b));
  }
  noFit(a, b) {
    return this.known[a * this.shapes.length + b] ??= this.minkowskiSums(a, b);
  }
  minkowskiSums(a, b) {
    const gap = this.shapes[a].keepsGap && this.shapes[b].keepsGap ? this.gap : 0;
    const [fixed, moving] = [this.sidesOf(a), this.sidesOf(b)];
    const sums = new Float64Array(
      fixed.reduce((sum2, one) => sum2 + moving.reduce((most, other) => most + HEAD + 3 * (one.n + other.n), 0), 0)
    );
    let end = 0;
    for (const one of fixed) for (const other of moving) end = addSum(sums, end, one, other, gap);
    return sums.slice(0, end);
  }
  sides = [];
  sidesOf(shape) {
    return this.sides[shape] ??= this.shapes[shape].parts.map(sidesOf);
  }
};
function hullOf(ring) {
  const sorted = [...ring].sort(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const chain = (points) => {
    const kept = [];
    for (const [x, y] of points) {
      for (; kept.length > 1; kept.pop()) {
        const [[ax, ay], [bx, by]] = kept.slice(-2);
        const [ux, uy, vx, vy] = [bx - ax, by - ay, x - bx, y - by];
        if (ux * vy - uy * vx > 1e-9 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) break;
      }
      kept.push([x, y]);
    }
    return kept.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.reverse())];
}
function sidesOf(ring) {
  const corners = hullOf(ring);
  const edges = corners.map(([x, y], i) => {
    const [ex, ey] = corners[(i + 1) % corners.length];
    const [dx, dy] = [ex - x, ey - y];
    const length = Math.hypot(dx, dy);
    return { x, y, nx: dy / length, ny: -dx / length, angle: Math.atan2(dy, dx) };
  });
  const first = edges.reduce((least, { angle }, i) => angle < edges[least].angle ? i : least, 0);
  edges.push(...edges.splice(0, first));
  const pick = (key) => Float64Array.from(edges, (edge) => edge[key]);
  return { n: edges.length, x: pick("x"), y: pick("y"), nx: pick("nx"), ny: pick("ny"), angle: pick("angle") };
}
function furthest({ n, x, y }, from, dx, dy) {
  let at = from;
  for (let steps = 0; steps < n; steps++) {
    const next = at + 1 < n ? at + 1 : 0;
    if ((x[next] - x[at]) * dx + (y[next] - y[at]) * dy < 0) break;
    at = next;
  }
  return at;
}
function addSum(sums, start, fixed, moving, gap) {
  let end = start + HEAD;
  const add2 = (nx, ny, d) => {
    const isKnown = end > start + HEAD && Math.abs(sums[end - 3] - nx) < 1e-12 && Math.abs(sums[end - 2] - ny) < 1e-12;
    if (isKnown) {
      sums[end - 1] = Math.max(sums[end - 1], d);
      return;
    }
    sums[end] = nx;
    sums[end + 1] = ny;
    sums[end + 2] = d;
    end += 3;
  };
  let first = 0;
  while (first < moving.n && moving.angle[first] <= 0) first++;
  let [i, j, own, against] = [0, 0, 0, first % moving.n];
  while (i < fixed.n || j < moving.n) {
    const k = (first + j) % moving.n;
    const turned = j < moving.n ? moving.angle[k] + (moving.angle[k] > 0 ? -Math.PI : Math.PI) : Infinity;
    const isOwn = i < fixed.n && fixed.angle[i] <= turned;
    const [nx, ny] = isOwn ? [fixed.nx[i], fixed.ny[i]] : [-moving.nx[k], -moving.ny[k]];
    if (isOwn) i++;
    else j++;
    own = furthest(fixed, own, nx, ny);
    against = furthest(moving, against, -nx, -ny);
    add2(nx, ny, nx * (fixed.x[own] - moving.x[against]) + ny * (fixed.y[own] - moving.y[against]) + gap);
  }
  sums[start] = end;
  sums[start + 1] = start + HEAD;
  return end;
}
function cornersOf(sums) {
  const corners = new Float64Array(sums.length);
  let count = 0;
  for (let start = 0, end = 0; start < sums.length; start = end) {
    end = sums[start];
    for (let p = start + HEAD, q = end - 3; p < end; q = p, p += 3) {
      const cross = sums[q] * sums[p + 1] - sums[q + 1] * sums[p];
      if (cross <= 1e-9) continue;
      corners[count++] = (sums[q + 2] * sums[p + 1] - sums[q + 1] * sums[p + 2]) / cross;
      corners[count++] = (sums[q] * sums[p + 2] - sums[q + 2] * sums[p]) / cross;
    }
  }
  return corners.slice(0, count);
}

// src/core/lay/shapes.ts
function shapesOf(job, parts) {
  const shapes = [];
  const turnOf = [];
  const known = /* @__PURE__ */ new Map();
  const numberOf = (key, turn2, make) => {
    let number2 = known.get(key);
    if (number2 === void 0) {
      known.set(key, number2 = shapes.length);
      shapes.push(make());
      turnOf.push(turn2);
    }
    return number2;
  };
  const simpler = /* @__PURE__ */ new Map();
  const coarse = (id, ring, width, height) => {
    if (!simpler.has(id)) simpler.set(id, coarseOutline(ring, width, height));
    return simpler.get(id);
  };
  const ways = parts.map(
    ({ width, height, turns, outlines, piece }) => (outlines ? outlines.turns : turns).map((turn2) => {
      const [w, h] = turn2 % 180 === 0 ? [width, height] : [height, width];
      return outlines ? numberOf(
        `${piece.id} ${turn2}`,
        turn2 / 90,
        () => ringShape(turnOutline(coarse(piece.id, outlines.ring, width, height), turn2), w, h)
      ) : numberOf(`${w} ${h} ${turn2}`, turn2 / 90, () => boxShape(w, h));
    })
  );
  const fixed = [];
  job.stock.forEach(({ left, right, length, flaws, outline }, stock) => {
    for (const [x0, y0, x1, y1] of [...flaws, ...outline ? boxesOutside(outline, left, right, length) : []]) {
      shapes.push(boxShape(x1 - x0, y1 - y0, false));
      turnOf.push(0);
      fixed.push({ stock, x: x0, y: y0, shape: shapes.length - 1 });
    }
  });
  return { shapes, turnOf, ways, fixed, clearances: new Clearances(shapes, job.gap) };
}

// src/core/lay/room.ts
var FEW = 120;
function luby(n) {
  let size = 1;
  while (size < n + 1) size *= 2;
  return size === n + 1 ? size / 2 : luby(n - size / 2 + 1);
}
var FIT_PASS = 0.05;
var passOf = (rule) => rule === "fit" ? FIT_PASS : 1;
var Room = class {
  constructor(job, pieces, sets, limits) {
    this.job = job;
    this.pieces = pieces;
    this.sets = sets;
    this.limits = limits;
    this.random = new Random(limits.seed + 7919 * limits.lane);
  }
  job;
  pieces;
  sets;
  limits;
  random;
  starts = [];
  best = null;
  /** The best lay that came from an order. */
  bestOrder = null;
  passes = 0;
  /** Some lays that short goes of ruin and recreate have ended with. */
  tried = [];
  shapes = null;
  isOver() {
    return this.limits.isOver(this.passes) || this.best !== null && isAtTarget(this.best, this.job, this.limits.target);
  }
  spend(passes) {
    this.passes += passes;
    return passes;
  }
  assemble(setChoice, ways) {
    const parts = this.partsOf(setChoice, ways);
    return { parts, placer: new Placer(this.job, parts) };
  }
  partsOf(setChoice, ways) {
    const blocks = (this.sets[setChoice] ?? []).flatMap((set, i) => blocksOf(set, ways[i]));
    return [...this.pieces, ...blocks.map(blockPart)];
  }
  /** The shapes of a lay's parts: kept for the next lay, as long as the strips are cut alike. */
  shapesOf({ setChoice, ways, parts }) {
    const key = JSON.stringify([setChoice, ways]);
    if (this.shapes?.key !== key) this.shapes = { key, set: shapesOf(this.job, parts) };
    return this.shapes.set;
  }
  /** One pass; its lay counts if it is the best. */
  run(state, limit) {
    this.spend(passOf(state.rule));
    const ran = { ...state, placing: state.placer.place(state.order, state.rule, limit, state.phases) };
    if (!this.bestOrder || ran.placing.cost < this.bestOrder.placing.cost) this.bestOrder = ran;
    this.consider(ran);
    return ran;
  }
  consider(found) {
    if (!this.keepIfBetter(found)) return;
    const { setChoice, ways } = found;
    const { stock, x, y, turned } = found.placing;
    this.limits.peers?.tell({ setChoice, ways, stock, x, y, turned });
  }
  keepIfBetter(found) {
    if (this.best && found.placing.cost >= this.best.placing.cost) return false;
    this.best = found;
    this.limits.onBetter(found);
    return true;
  }
  /** Takes over the best lay that others have told of, where it is better. */
  hear() {
    for (const { setChoice, ways, ...where } of this.limits.peers?.hear() ?? []) {
      const isCutAlike = this.best?.setChoice === setChoice && ways.every((way, i) => way === this.best.ways[i]);
      const parts = isCutAlike ? this.best.parts : this.partsOf(setChoice, ways);
      this.keepIfBetter({ setChoice, ways, parts, placing: measured(this.job, parts, where) });
    }
  }
};
var isAtTarget = ({ placing }, job, target) => job.stock.length === 1 && placing.stock.every((at) => at >= 0) && placing.used[0] <= target + TOLERANCE[job.units];

// src/core/lay/orders.ts
var LATE = 40;
var PATIENCE = 400;
var QUICK_LATE = 500;
var QUICK_PATIENCE = 12e3;
var TIGHT_GOES = 5;
var EARLY_GOES = 20;
var TIGHT_NODES = 12e3;
var NODES_A_PASS = 20;
function* orders(room) {
  const { random, limits } = room;
  let tries = 0;
  const isQuick = room.starts[0].placer.rules[0] === "fit";
  const starts = isQuick ? room.starts.filter(({ rule }) => rule === "fit") : room.starts;
  const best = () => isQuick && room.bestOrder.rule !== "fit" ? starts[0] : room.bestOrder;
  const [patience, lateness] = isQuick ? [QUICK_PATIENCE, QUICK_LATE] : [PATIENCE, LATE];
  for (let round = 0; ; round++) {
    let now = starts[round % Math.min(starts.length, 4)];
    if (round >= 4) {
      const base = round % 2 === 0 ? best() : starts[random.below(starts.length)];
      now = room.run({ ...base, order: perturbed(base.order, random, 3 + random.below(8)) }, Infinity);
      yield passOf(now.rule);
    }
    const late = new Array(lateness).fill(now.placing.cost);
    for (let step = 0, stale = 0; stale < patience; step++) {
      const next = room.run(neighbour(room, now), now.placing.used.at(-1) * 1.1 + 1);
      yield passOf(now.rule);
      const slot = step % lateness;
      const better = next.placing.cost < now.placing.cost;
      if (next.placing.cost <= now.placing.cost || next.placing.cost <= late[slot]) now = next;
      late[slot] = now.placing.cost;
      stale = better ? 0 : stale + 1;
    }
    const most = isQuick ? TIGHT_GOES : Math.min(round, 2);
    const goes = !now.placer.canBeTight ? 0 : tries < EARLY_GOES ? most : Math.min(most, 1);
    for (let go = 0; go < goes; go++, tries++) {
      const base = room.bestOrder;
      const nodes = base.parts.length <= FEW ? TIGHT_NODES * luby(tries + 1) : TIGHT_NODES / 4;
      const share = tries % 3 < 2 ? 0 : random.next();
      const target = Math.round(limits.target + (room.best.placing.used[0] - limits.target) * share);
      const placing = base.placer.placeTight(target, nodes, random);
      if (placing) room.consider({ ...base, placing });
      yield room.spend(Math.ceil(nodes / NODES_A_PASS / base.parts.length));
    }
  }
}
function sortedOrders(parts) {
  const keys = [
    ({ height }) => height,
    ({ width }) => width,
    ({ width, height }) => width * height,
    ({ width, height }) => Math.max(width, height),
    ({ width, height }) => width + height
  ];
  const isMatched = parts.some(({ match }) => match);
  return keys.flatMap((key) => {
    const byKey = (a, b) => key(parts[b]) - key(parts[a]) || parts[b].width - parts[a].width || a - b;
    const matchedFirst = (a, b) => Number(parts[b].match !== null) - Number(parts[a].match !== null) || byKey(a, b);
    const indices = Array.from(parts, (_, i) => i);
    const orders2 = [Int32Array.from([...indices].sort(byKey))];
    if (isMatched) orders2.push(Int32Array.from([...indices].sort(matchedFirst)));
    return orders2;
  });
}
function perturbed(order, random, times) {
  const copy = order.slice();
  for (let i = 0; i < times; i++) swap2(copy, random.below(copy.length), random.below(copy.length));
  return copy;
}
function swap2(order, a, b) {
  const held2 = order[a];
  order[a] = order[b];
  order[b] = held2;
}
function neighbour(room, now) {
  const { job, random, sets } = room;
  const dice = random.next();
  const { order } = now;
  if (sets.length > 0 && sets[0].length > 0 && dice < 0.08) return recut(room, now);
  if (now.placer.groups.size > 0 && dice > 0.85) return rephase(job, now, random);
  if (dice < 0.12 && now.rule !== "fit")
    return { ...now, rule: now.placer.rules[random.below(now.placer.rules.length)] };
  const next = order.slice();
  const a = random.below(order.length);
  if (dice < 0.55) {
    let b = random.below(order.length);
    for (let tries = 0; tries < 8 && isAlike(now.parts[order[a]], now.parts[order[b]]); tries++)
      b = random.below(order.length);
    swap2(next, a, b);
    return { ...now, order: next };
  }
  const count = Math.min(1 + random.below(4), order.length - a);
  const run = order.subarray(a, a + count);
  const rest = [...order.subarray(0, a), ...order.subarray(a + count)];
  const to = dice < 0.75 ? Math.max(0, Math.min(rest.length, a + random.below(21) - 10)) : random.below(rest.length + 1);
  rest.splice(to, 0, ...run);
  next.set(rest);
  return { ...now, order: next };
}
var isAlike = (a, b) => a.width === b.width && a.height === b.height && a.match === null && b.match === null;
function rephase(job, now, random) {
  const { parts, placing, placer } = now;
  const phases = Array.from({ length: placer.groups.size }, (_, g) => now.phases[g] ?? null);
  const members = parts.map((_, i2) => i2).filter((i2) => parts[i2].match?.group);
  const i = members[random.below(members.length)];
  const part = parts[i];
  const group = placer.groups.get(part.match.group);
  if (phases[group] && random.next() < 0.2) {
    phases[group] = null;
    return { ...now, phases };
  }
  const other = () => random.below(parts.length);
  const [a, b] = [other(), other()];
  const k = Math.max(0, placing.stock[a]);
  const { left, right, motif } = job.stock[k];
  const wide = (p) => (placing.turned[p] ? parts[p].height : parts[p].width) + job.gap;
  const high = (p) => (placing.turned[p] ? parts[p].width : parts[p].height) + job.gap;
  const xs = [
    left,
    right - part.width,
    placing.x[a] + wide(a),
    placing.x[a] - part.width - job.gap,
    placing.x[a],
    placing.x[i]
  ];
  const ys = [0, placing.y[b] + high(b), placing.y[b] - part.height - job.gap, placing.y[b], placing.y[i]];
  phases[group] = phaseAt(part.match, motif, xs[random.below(xs.length)], ys[random.below(ys.length)], job.lattice);
  return { ...now, phases };
}
function recut(room, now) {
  const { random, sets } = room;
  const setChoice = random.next() < 0.2 ? random.below(sets.length) : now.setChoice;
  const sameSets = setChoice === now.setChoice;
  const chosen = sets[setChoice];
  const ways = sameSets ? [...now.ways] : chosen.map(() => 0);
  const k = random.below(chosen.length);
  ways[k] = random.below(chosen[k].ways.length);
  const made = room.assemble(setChoice, ways);
  const pieces = made.parts.findIndex(({ block }) => block);
  const at = now.order.findIndex((i) => i >= pieces);
  const order = [...now.order].filter((i) => i < pieces);
  const blocks = made.parts.map((_, i) => i).slice(pieces);
  if (random.next() < 0.5) order.splice(at < 0 ? order.length : at, 0, ...blocks);
  else for (const block of blocks) order.splice(random.below(order.length + 1), 0, block);
  return { ...now, setChoice, ways, ...made, order: Int32Array.from(order) };
}

// src/core/lay/merges.ts
var PAIR = 2;
var SIZE = 1.5;
var NOISE2 = 2;
var MOST_TOLD = 4;
var Merges = class {
  constructor(job, parts, random) {
    this.job = job;
    this.parts = parts;
    this.random = random;
    const [{ left, right }] = job.stock;
    this.width = right - left + job.gap;
    this.canTurn = parts.every(({ turns, width, height }) => turns.length === 2 || width === height);
    this.meanArea = parts.reduce((sum2, { width, height }) => sum2 + width * height, 0) / parts.length;
  }
  job;
  parts;
  random;
  width;
  keys = /* @__PURE__ */ new Map();
  canTurn;
  meanArea;
  /**
   * Looks for a lay of at most `target` nm with a beam of `beam` states. Yields after each level how many it has kept;
   * returns the rows of the states that got furthest: those of a whole lay hold all parts.
   */
  *run(target, beam) {
    const { gap } = this.job;
    const height = target + gap;
    const blocks = this.parts.map(({ width, height: long, turns }, part) => {
      const [w, h] = turns[0] === 0 ? [width, long] : [long, width];
      return { w: w + gap, h: h + gap, part, a: null, b: null, isStacked: false, turnedOf: null };
    });
    let states = [this.stateOf(blocks, [])];
    let furthest2 = [];
    for (let level2 = 1; level2 < this.parts.length; level2++) {
      const children = [];
      for (const from of states)
        this.joins(from, height, (i, j, block, rank) => children.push({ from, i, j, block, rank }));
      children.sort((one, other) => other.rank - one.rank);
      const seen = /* @__PURE__ */ new Set();
      const next = [];
      for (const { from, i, j, block } of children) {
        const rest = from.blocks.filter((_, k) => k !== i && k !== j);
        const state = this.stateOf([...rest, block], from.rows);
        const key = state.hash * 64 + state.blocks.length;
        if (seen.has(key)) continue;
        seen.add(key);
        if (state.blocks.length === 0) {
          return [this.unfold(state.rows)];
        }
        next.push(state);
        if (next.length >= beam) break;
      }
      if (next.length === 0) break;
      states = next;
      furthest2 = [...furthest2, ...states].sort((one, other) => lengthOf2(other.rows) - lengthOf2(one.rows)).slice(0, MOST_TOLD);
      yield states.length;
    }
    return furthest2.map(({ rows }) => this.unfold(rows));
  }
  stateOf(blocks, done) {
    const rows = [...done];
    const open = [];
    for (const block of blocks) {
      if (block.w === this.width) rows.push(block);
      else if (this.canTurn && block.h === this.width) rows.push(turn(block));
      else open.push(block);
    }
    let hash = 0;
    for (const { w, h } of open) hash = hash + this.keyOf(w, h) | 0;
    return { blocks: open, rows, hash, pairs: this.pairsOf(open), rank: 0 };
  }
  keyOf(w, h) {
    const name2 = this.canTurn && h < w ? `${h} ${w}` : `${w} ${h}`;
    let key = this.keys.get(name2);
    if (key === void 0) this.keys.set(name2, key = Math.floor(this.random.next() * 2 ** 31));
    return key;
  }
  /** How often sides occur: with turning all in one table, else widths and heights apart. */
  sidesOf(blocks) {
    const across = /* @__PURE__ */ new Map();
    const along = this.canTurn ? across : /* @__PURE__ */ new Map();
    for (const { w, h } of blocks) {
      across.set(w, (across.get(w) ?? 0) + 1);
      along.set(h, (along.get(h) ?? 0) + 1);
    }
    return [across, along];
  }
  pairsOf(blocks) {
    const [across, along] = this.sidesOf(blocks);
    let pairs = 0;
    for (const table of this.canTurn ? [across] : [across, along])
      for (const n of table.values()) if (n > 1) pairs += Math.min(3, n - 1);
    return pairs;
  }
  fits(w, h, height) {
    return w <= this.width && h <= height || this.canTurn && h <= this.width && w <= height;
  }
  joins(from, height, tell) {
    const { blocks } = from;
    const [across, along] = this.sidesOf(blocks);
    const bySide = /* @__PURE__ */ new Map();
    const note = (side2, i, other, isWidth) => {
      const key = this.canTurn ? String(side2) : `${isWidth ? "w" : "h"}${side2}`;
      const list2 = bySide.get(key);
      if (list2) list2.push({ i, other, isWidth });
      else bySide.set(key, [{ i, other, isWidth }]);
    };
    blocks.forEach(({ w, h }, i) => {
      note(w, i, h, true);
      note(h, i, w, false);
    });
    for (const list2 of bySide.values()) {
      for (let p = 0; p < list2.length; p++) {
        for (let q = p + 1; q < list2.length; q++) {
          const [one, two] = [list2[p], list2[q]];
          if (one.i === two.i) continue;
          const a = one.isWidth ? blocks[one.i] : this.canTurn ? turn(blocks[one.i]) : blocks[one.i];
          let block;
          if (one.isWidth || this.canTurn) {
            const b = two.isWidth ? blocks[two.i] : turn(blocks[two.i]);
            block = { w: a.w, h: a.h + b.h, part: -1, a, b, isStacked: true, turnedOf: null };
          } else {
            const b = blocks[two.i];
            block = { w: a.w + b.w, h: a.h, part: -1, a, b, isStacked: false, turnedOf: null };
          }
          if (!this.fits(block.w, block.h, height)) continue;
          const isRow = block.w === this.width || this.canTurn && block.h === this.width;
          const meets = isRow ? 3 : Math.min(2, across.get(block.w) ?? 0) + Math.min(2, along.get(block.h) ?? 0);
          const rank = from.pairs * PAIR + meets * PAIR - SIZE * Math.log2(block.w * block.h / this.meanArea) + NOISE2 * this.random.next();
          tell(one.i, two.i, block, rank);
        }
      }
    }
  }
  unfold(rows) {
    return rows.map((row) => {
      const parts = [];
      const lay = (block, x, y, isTurned) => {
        if (block.turnedOf) {
          lay(block.turnedOf, x, y, !isTurned);
        } else if (!block.a || !block.b) {
          const { width, height, turns } = this.parts[block.part];
          const own = turns[0] === 0 ? 0 : 1;
          parts.push({ part: block.part, x, y, turned: isTurned && width !== height ? 1 - own : own });
        } else {
          lay(block.a, x, y, isTurned);
          const along = block.isStacked ? block.a.h : block.a.w;
          const isUp = block.isStacked !== isTurned;
          lay(block.b, isUp ? x : x + along, isUp ? y + along : y, isTurned);
        }
      };
      lay(row, 0, 0, false);
      return { height: row.h, parts };
    });
  }
};
var lengthOf2 = (rows) => rows.reduce((sum2, { h }) => sum2 + h, 0);
var turn = (block) => ({
  w: block.h,
  h: block.w,
  part: -1,
  a: null,
  b: null,
  isStacked: false,
  turnedOf: block
});

// src/core/lay/starts.ts
var NEAR = 1500;
var TURN = 5e-5;
var ROUND = 2 * Math.PI;
var FINEST3 = 2e3;
var MANY = 0.1;
function normal(angle) {
  const turned = angle - ROUND * Math.floor(angle / ROUND);
  return turned > ROUND - TURN ? turned - ROUND : turned;
}
var Starts = class {
  corners;
  /** The parts of each kind: those with the same shapes. */
  members = [];
  /** What a corner that meets another one tells (bits). */
  cornerBits;
  all = [];
  narrowest;
  step;
  /** For directions that many edges have, the lengths that edges in it can sum up to, in steps. */
  sums = /* @__PURE__ */ new Map();
  /** `ways` names the shapes of each part by number; `width` (nm) is that of the cloth. */
  constructor(shapes, ways, width) {
    this.corners = shapes.map(({ ring }) => cornersOf2(ring));
    const known = /* @__PURE__ */ new Map();
    ways.forEach((way, part) => {
      const key = way.join();
      let kind = known.get(key);
      if (kind === void 0) {
        known.set(key, kind = this.members.length);
        this.members.push([]);
        for (const shape of way)
          this.corners[shape].forEach(
            ({ out, angle }, corner) => this.all.push({ out, angle, kind, shape, corner })
          );
      }
      this.members[kind].push(part);
    });
    this.all.sort((a, b) => a.out - b.out);
    for (const corner of this.corners.flat()) {
      corner.outBits = this.rarityOf(corner.out);
      corner.inBits = this.rarityOf(corner.out + corner.angle + Math.PI);
    }
    this.narrowest = this.all.reduce((least, { angle }) => Math.min(least, angle), Infinity);
    const sides = this.corners.flat().flatMap(({ x, y }) => [x, y]);
    this.step = [width, ...sides].reduce(greatestCommon);
    this.cornerBits = Math.log2(width / Math.max(width / FINEST3, this.step));
    if (width / this.step <= FINEST3) this.gatherSums();
  }
  /** False when all corners lie on a grid that a length is not on: no lay can end there. */
  canEndAt(length) {
    const over = length % this.step;
    return this.step <= 2 * NEAR || Math.min(over, this.step - over) <= NEAR;
  }
  gatherSums() {
    const { step, all, members } = this;
    const times = /* @__PURE__ */ new Map();
    for (const { out } of all) times.set(Math.round(out / TURN), (times.get(Math.round(out / TURN)) ?? 0) + 1);
    for (const [direction, count] of times) {
      if (count < MANY * all.length) continue;
      const lengths = members.map(() => /* @__PURE__ */ new Set());
      for (const { out, kind, shape, corner } of all) {
        if (Math.round(out / TURN) !== direction) continue;
        const corners = this.corners[shape];
        const [a, b] = [corners[corner], corners[(corner + 1) % corners.length]];
        lengths[kind].add(Math.round(Math.hypot(b.x - a.x, b.y - a.y) / step));
      }
      const reached = new Uint8Array(FINEST3 + 1);
      reached[0] = 1;
      lengths.forEach((some, kind) => {
        for (let copy = 0; copy < members[kind].length; copy++)
          for (let u = FINEST3; u > 0; u--)
            if (!reached[u]) {
              for (const one of some) if (u >= one && reached[u - one]) reached[u] = 1;
            }
      });
      this.sums.set(direction, reached);
    }
  }
  /** False when the floor that begins at a corner ends at another one, and no edges sum up to its length. */
  hasFloor(free, { x, y, from, angle }) {
    const sums = this.sums.get(Math.round((from < 0 ? from + ROUND : from) / TURN));
    if (!sums || angle >= Math.PI - TURN) return true;
    const [ux, uy] = [Math.cos(from), Math.sin(from)];
    let nearest = Infinity;
    let end = null;
    for (const other of free) {
      const [dx, dy] = [other.x - x, other.y - y];
      const along = dx * ux + dy * uy;
      if (along <= NEAR || along > nearest + NEAR || Math.abs(dy * ux - dx * uy) > NEAR) continue;
      if (Math.abs(other.angle - Math.PI) < TURN && Math.abs(normal(other.from - from + 1) - 1) < TURN) continue;
      nearest = along;
      const isEnd = Math.abs(normal(other.from + other.angle - from - Math.PI + 1) - 1) < TURN;
      end = isEnd && other.angle < Math.PI - TURN ? other : null;
    }
    return !end || sums[Math.round(nearest / this.step)] === 1;
  }
  /** Calls back for each start that may lie along a free corner's one side; stops when told to. */
  each(counts, from, angle, accept) {
    for (const [first, end] of this.along(from)) {
      for (let k = first; k < end; k++) {
        const start = this.all[k];
        if (counts[start.kind] > 0 && start.angle <= angle + TURN && !accept(start)) return;
      }
    }
  }
  /** Where in the list those stand whose edge leaves in a direction: from and to, once more where that is about a full turn. */
  along(direction) {
    const at = direction < 0 ? direction + ROUND : direction;
    return (at < TURN ? [at, at + ROUND] : at > ROUND - TURN ? [at, at - ROUND] : [at]).map((one) => [
      this.firstFrom(one - TURN),
      this.firstFrom(one + TURN)
    ]);
  }
  firstFrom(direction) {
    let [a, b] = [0, this.all.length];
    while (a < b) {
      const middle = a + b >> 1;
      if (this.all[middle].out < direction) a = middle + 1;
      else b = middle;
    }
    return a;
  }
  /** What an edge in a direction tells (bits): the fewer have it, the more. */
  rarityOf(direction) {
    const same = this.along(normal(direction)).reduce((sum2, [first, end]) => sum2 + end - first, 0);
    return Math.log2(this.all.length / Math.max(1, same));
  }
  /** Whether any start suits a free corner by its angle. */
  canFill(counts, { from, angle }) {
    if (angle < this.narrowest - TURN) return false;
    if (angle >= Math.PI - TURN) return true;
    let isFound = false;
    this.each(counts, from, angle, () => {
      isFound = true;
      return false;
    });
    return isFound;
  }
};
function cornersOf2(ring) {
  return ring.flatMap(([x, y], k) => {
    const [px, py] = ring.at(k - 1);
    const [nx, ny] = ring[(k + 1) % ring.length];
    const out = normal(Math.atan2(ny - y, nx - x));
    const angle = normal(Math.atan2(py - y, px - x) - out);
    return Math.abs(angle - Math.PI) < TURN ? [] : [{ x, y, out, angle, outBits: 0, inBits: 0 }];
  });
}
function edgeAt(corners, x, y) {
  for (let k = 0; k < corners.length; k++) {
    const [a, b] = [corners[k], corners[(k + 1) % corners.length]];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const length = Math.hypot(dx, dy);
    const along = ((x - a.x) * dx + (y - a.y) * dy) / length;
    const aside = ((y - a.y) * dx - (x - a.x) * dy) / length;
    if (Math.abs(aside) <= NEAR && along > NEAR && along < length - NEAR) return k;
  }
  return -1;
}

// src/core/lay/mosaic.ts
var SLACK = 1e3;
var LARGE_FIRST = 2;
var NOISE3 = 3;
var MOST_CORNERS3 = 4e3;
var STALE = 6;
var SORTED = 8;
var NOWHERE = [0, 0, 0, 0];
var unseen = (x, y, from, angle) => ({
  x,
  y,
  from,
  angle,
  fits: null,
  count: 0,
  reach: NOWHERE
});
var ordersFrom = (headings) => [true, false].flatMap(
  (isFlipped) => headings.flatMap((heading) => [true, false].map((byChoice) => ({ heading, isFlipped, byChoice })))
);
var suitsMosaic = ({ stock, gap, straight, lattice }, parts) => !straight && gap === 0 && stock.length === 1 && stock[0].length === Infinity && stock[0].flaws.length === 0 && !stock[0].outline && parts.every(({ match, block }) => (!match || !lattice) && !block) && parts.reduce((sum2, { outlines }) => sum2 + (outlines?.ring.length ?? 4), 0) <= MOST_CORNERS3;
var Mosaic = class {
  constructor(job, parts, { shapes, turnOf, ways, clearances }, random) {
    this.parts = parts;
    this.random = random;
    this.shapes = shapes;
    this.turnOf = turnOf;
    this.clearances = clearances;
    this.areas = shapes.map(({ ring }) => Math.abs(doubleArea(ring)) / 2);
    this.left = job.stock[0].left;
    this.width = job.stock[0].right - this.left;
    this.starts = new Starts(shapes, ways, this.width);
    this.corners = this.starts.corners;
    this.members = this.starts.members;
    this.area = ways.reduce((sum2, [shape]) => sum2 + this.areas[shape], 0);
    this.meanArea = this.area / parts.length;
    this.boxes = new Float64Array(4 * parts.length);
    this.furthest = this.reachOf(this.starts.all);
    const isEven = parts.every(
      ({ outlines }) => outlines?.turns.every((turn2) => outlines.turns.includes((turn2 + 180) % 360)) ?? true
    );
    this.orders = ordersFrom(isEven ? [1, 0] : [1, 0, 3, 2]);
  }
  parts;
  random;
  shapes;
  turnOf;
  clearances;
  corners;
  members;
  areas;
  starts;
  width;
  left;
  /** The area of all parts (nm²). */
  area;
  meanArea;
  /** The boxes of what a state has laid, the last first: x0, y0, x1, y1. */
  boxes;
  /** How far any start reaches. */
  furthest;
  /** The most parts that a lay had so far. */
  reached = 0;
  /** The orders of filling that are worth trying. */
  orders;
  /** False when all corners lie on a grid that a length (nm) is not on: no lay can end there. */
  canEndAt(length) {
    return this.starts.canEndAt(length);
  }
  /**
   * Looks for a lay of `target` nm with at most `width` states at a time, filling one free corner after another in an order;
   * yields how many states it has looked at. Null when it finds none.
   */
  *run(target, width, order) {
    let states = [this.empty(target)];
    for (let level2 = 0; level2 < this.parts.length; level2++) {
      let moves = [];
      let least = -Infinity;
      const keep = (count) => {
        moves.sort((a, b) => b.rank - a.rank);
        if (moves.length < count) return;
        moves = moves.slice(0, count);
        least = moves.at(-1).rank;
      };
      let looked = 0;
      for (const state of states) {
        this.movesOf(state, target, order, moves, least);
        if (moves.length > SORTED * width) keep(4 * width);
        if (++looked % 32 === 0) yield 32;
      }
      yield looked % 32;
      keep(4 * width);
      const next = /* @__PURE__ */ new Map();
      for (const move of moves) {
        const state = this.place(move, target);
        if (!state) continue;
        const twin = next.get(state.hash);
        if (!twin || twin.rank < state.rank) next.set(state.hash, state);
        if (next.size >= width) break;
      }
      states = [...next.values()];
      if (states.length === 0) return null;
      this.reached = Math.max(this.reached, level2 + 1);
    }
    return this.unfold(states[0]);
  }
  empty(target) {
    const { width } = this;
    const quarter = Math.PI / 2;
    const sectors = [
      unseen(0, 0, 0, quarter),
      unseen(width, 0, quarter, quarter),
      unseen(width, target, 2 * quarter, quarter),
      unseen(0, target, 3 * quarter, quarter)
    ];
    const counts = this.members.map(({ length }) => length);
    return {
      parent: null,
      count: 0,
      counts,
      sectors,
      shape: -1,
      kind: -1,
      x: 0,
      y: 0,
      area: 0,
      score: 0,
      rank: 0,
      hash: 0
    };
  }
  /** The parts that a state has laid, the last first; their boxes are in `boxes` from then on. */
  gather(state) {
    const placed = [];
    for (let s = state; s.parent; s = s.parent) {
      const { width, height } = this.shapes[s.shape];
      const k = 4 * placed.length;
      placed.push(s);
      this.boxes[k] = s.x;
      this.boxes[k + 1] = s.y;
      this.boxes[k + 2] = s.x + width;
      this.boxes[k + 3] = s.y + height;
    }
    return placed;
  }
  /**
   * The ways to go on from a state that rank above `least`: what has room at the free corner that is next; none when there is a
   * corner without.
   */
  movesOf(state, target, order, moves, least) {
    const placed = this.gather(state);
    let first = null;
    for (let i = 0; i < state.sectors.length; i++) {
      const known = state.sectors[i];
      if (known.angle >= Math.PI - TURN) continue;
      const sector = this.lookedAt(known, state, placed, target);
      if (sector.fits.length === 0) return;
      state.sectors[i] = sector;
      if (this.isBefore(sector, first, order)) first = sector;
    }
    if (!first) return;
    const chance = Math.log2(first.fits.length);
    for (const start of first.fits) {
      const corner = this.corners[start.shape][start.corner];
      const [x, y] = [Math.round(first.x - corner.x), Math.round(first.y - corner.y)];
      const large = LARGE_FIRST * (state.area + this.areas[start.shape]) / this.meanArea;
      const evidence = this.evidence(state, start, x, y);
      const rank = state.score - chance + evidence + large + NOISE3 * this.random.next();
      if (rank > least) moves.push({ state, start, x, y, rank, chance });
    }
  }
  /** Which of two free corners is filled first. */
  isBefore(sector, other, { heading, isFlipped, byChoice }) {
    if (byChoice && normal(heading * Math.PI / 2 - sector.from) > sector.angle + TURN) return false;
    if (!other) return true;
    if (byChoice && sector.fits.length !== other.fits.length) return sector.fits.length < other.fits.length;
    const [dx, dy] = [sector.x - other.x, sector.y - other.y];
    const isAlong = heading % 2 === 1;
    const ahead = (isAlong ? dy : dx) * (heading < 2 ? 1 : -1);
    if (Math.abs(ahead) > NEAR) return ahead < 0;
    return (isAlong ? dx : dy) * (isFlipped ? -1 : 1) < 0;
  }
  /** What speaks for a move (bits): corners that meet others, and edges that then run along others. */
  evidence(state, { shape }, x, y) {
    const corners = this.corners[shape];
    const { width: w, height: h } = this.shapes[shape];
    let bits = 0;
    for (const free of state.sectors) {
      const [px, py] = [free.x - x, free.y - y];
      if (px < -NEAR || py < -NEAR || px > w + NEAR || py > h + NEAR) continue;
      for (const corner of corners) {
        if (Math.abs(corner.x - px) > NEAR || Math.abs(corner.y - py) > NEAR) continue;
        const before = normal(corner.out - free.from);
        if (before > free.angle - TURN) continue;
        bits += this.starts.cornerBits;
        if (before <= TURN) bits += corner.outBits / 2;
        if (free.angle - before - corner.angle <= TURN) bits += corner.inBits / 2;
      }
    }
    return bits;
  }
  /** A free corner with the starts that have room there: of those known from an earlier state what still has. */
  lookedAt(sector, state, placed, target) {
    const { counts, count } = state;
    const { x, y, from, angle, fits: known, reach } = sector;
    if (known) {
      const near2 = this.nearest(count - sector.count, sector, reach);
      const hasRoom = (start) => counts[start.kind] > 0 && this.isFree(placed, near2, sector, start);
      const lost = known.findIndex((start) => !hasRoom(start));
      if (lost < 0) return count - sector.count < STALE ? sector : { ...sector, count };
      const fits2 = known.filter((start, k) => k < lost || k > lost && hasRoom(start));
      return { x, y, from, angle, fits: fits2, count, reach };
    }
    const near = this.nearest(count, sector, this.furthest);
    const fits = [];
    this.starts.each(counts, from, angle, (start) => {
      if (this.isWithin(sector, start, target) && this.isFree(placed, near, sector, start)) fits.push(start);
      return true;
    });
    return { x, y, from, angle, fits, count, reach: this.reachOf(fits) };
  }
  /** Which of the last parts that were laid, so many of them, lie in reach of a point. */
  nearest(last, { x, y }, [left, down, right, up]) {
    const { boxes } = this;
    const near = [];
    for (let k = 0; k < last; k++) {
      const b = 4 * k;
      if (boxes[b] < x + right && boxes[b + 2] > x - left && boxes[b + 1] < y + up && boxes[b + 3] > y - down)
        near.push(k);
    }
    return near;
  }
  /** How far starts reach from the corner where they begin. */
  reachOf(starts) {
    let [left, down, right, up] = NOWHERE;
    for (const { shape, corner } of starts) {
      const { x, y } = this.corners[shape][corner];
      const { width, height } = this.shapes[shape];
      left = Math.max(left, x);
      down = Math.max(down, y);
      right = Math.max(right, width - x);
      up = Math.max(up, height - y);
    }
    return [left, down, right, up];
  }
  /** Whether a start lies on the cloth. */
  isWithin(at, { shape, corner }, target) {
    const from = this.corners[shape][corner];
    const { width, height } = this.shapes[shape];
    const x = at.x - from.x;
    const y = at.y - from.y;
    return x >= -NEAR && y >= -NEAR && x + width <= this.width + NEAR && y + height <= target + NEAR;
  }
  /** Whether a start has room beside some of the parts that were laid. */
  isFree(placed, some, at, { shape, corner }) {
    const { shapes, clearances, boxes } = this;
    const from = this.corners[shape][corner];
    const x = Math.round(at.x - from.x);
    const y = Math.round(at.y - from.y);
    const right = x + shapes[shape].width;
    const top = y + shapes[shape].height;
    for (let i = 0; i < some.length; i++) {
      const k = some[i];
      const b = 4 * k;
      if (boxes[b] >= right || boxes[b + 2] <= x || boxes[b + 1] >= top || boxes[b + 3] <= y) continue;
      const other = placed[k];
      if (clearances.overlaps(other.shape, shape, x - other.x, y - other.y, SLACK)) return false;
    }
    return true;
  }
  /** The state after a move; null where it leaves a corner that none can fill. */
  place({ state, start, x, y, rank, chance }, target) {
    const { shapes } = this;
    const { kind, shape } = start;
    const corners = this.corners[shape];
    const { width: w, height: h } = shapes[shape];
    const near = [];
    for (let other = state; other.parent; other = other.parent) {
      const { width: ow, height: oh } = shapes[other.shape];
      if (other.x <= x + w + NEAR && other.x + ow >= x - NEAR && other.y <= y + h + NEAR && other.y + oh >= y - NEAR)
        near.push(other);
    }
    const counts = state.counts.slice();
    counts[kind]--;
    const sectors = [];
    const fresh = [];
    const met = /* @__PURE__ */ new Set();
    let score = state.score - this.starts.cornerBits - chance;
    const takeOut = (free, { out, angle, outBits, inBits }) => {
      const before = normal(out - free.from);
      const after = free.angle - before - angle;
      if (after < -TURN) return false;
      if (before > TURN) fresh.push(unseen(free.x, free.y, free.from, before));
      else score += outBits / 2;
      if (after > TURN) fresh.push(unseen(free.x, free.y, normal(free.from + before + angle), after));
      else score += inBits / 2;
      return true;
    };
    for (const free of state.sectors) {
      const [px, py] = [free.x - x, free.y - y];
      if (px < -NEAR || py < -NEAR || px > w + NEAR || py > h + NEAR) {
        sectors.push(free);
        continue;
      }
      const k = corners.findIndex((corner) => Math.abs(corner.x - px) <= NEAR && Math.abs(corner.y - py) <= NEAR);
      const edge = k >= 0 ? -1 : edgeAt(corners, px, py);
      const out = k >= 0 ? corners[k].out : edge >= 0 ? corners[edge].out : null;
      if (out === null || normal(out - free.from) > free.angle - TURN) {
        sectors.push(free);
        continue;
      }
      const { outBits } = corners[Math.max(k, edge)];
      if (!takeOut(free, k >= 0 ? corners[k] : { out, angle: Math.PI, outBits, inBits: outBits })) return null;
      if (k < 0 || met.has(k)) continue;
      met.add(k);
      score += this.starts.cornerBits;
    }
    for (let k = 0; k < corners.length; k++) {
      if (met.has(k)) continue;
      const [px, py] = [x + corners[k].x, y + corners[k].y];
      const { out, angle } = corners[k];
      const wall = this.wallAt(px, py, target, near);
      if (wall === null) fresh.push(unseen(px, py, normal(out + angle), ROUND - angle));
      else if (!takeOut(unseen(px, py, wall, Math.PI), corners[k])) return null;
    }
    sectors.push(...fresh);
    for (const sector of fresh)
      if (!this.starts.canFill(counts, sector) || !this.starts.hasFloor(sectors, sector)) return null;
    const area = state.area + this.areas[shape];
    const hash = (state.hash + Math.imul(shape + 1, 2654435761) * 31 + Math.round(x / 5e3) * 7919 + Math.round(y / 5e3) * 104729) % 2 ** 50;
    return { parent: state, count: state.count + 1, counts, sectors, shape, kind, x, y, area, score, rank, hash };
  }
  /** The direction of the wall that a point lies on, what is free to its left; null in free cloth. */
  wallAt(x, y, target, near) {
    if (y <= NEAR) return 0;
    if (x >= this.width - NEAR) return Math.PI / 2;
    if (y >= target - NEAR) return Math.PI;
    if (x <= NEAR) return 1.5 * Math.PI;
    for (const other of near) {
      const corners = this.corners[other.shape];
      const edge = edgeAt(corners, x - other.x, y - other.y);
      if (edge >= 0) return normal(corners[edge].out + Math.PI);
    }
    return null;
  }
  unfold(state) {
    const n = this.parts.length;
    const lay = {
      placed: state.count,
      stock: new Int32Array(n).fill(-1),
      x: new Float64Array(n),
      y: new Float64Array(n),
      turned: new Uint8Array(n)
    };
    const next = this.members.map(() => 0);
    for (let s = state; s.parent; s = s.parent) {
      const part = this.members[s.kind][next[s.kind]++];
      lay.stock[part] = 0;
      lay.x[part] = s.x + this.left;
      lay.y[part] = s.y;
      lay.turned[part] = this.turnOf[s.shape];
    }
    return lay;
  }
};

// src/core/lay/cut-tree.ts
var FREE = -1;
var ACROSS = -2;
var ALONG = -3;
var NONE = -1;
var ROOT = 0;
var CutTree = class {
  /** For so many parts, none of which has a side of less than `narrowest` nm. */
  constructor(parts, narrowest) {
    this.narrowest = narrowest;
    const size = 6 * parts + 16;
    const List = size < 2 ** 15 ? Int16Array : Int32Array;
    this.w = new Float64Array(size);
    this.h = new Float64Array(size);
    this.is = new List(size);
    this.turned = new Uint8Array(size);
    this.parent = new List(size);
    this.first = new List(size);
    this.next = new List(size);
    this.previous = new List(size);
    this.free = new List(size);
    this.at = new List(size);
    this.spare = new List(size);
    this.nodeOf = new List(parts);
  }
  narrowest;
  w;
  h;
  /** The free rectangles that some part could fit, the first `open` of this list. */
  free;
  /** The node of each part, -1 when it is laid nowhere. */
  nodeOf;
  is;
  turned;
  parent;
  first;
  next;
  previous;
  /** Where in the list of free rectangles a node is. */
  at;
  /** The first `spares` of this list are not in use. */
  spare;
  spares = 0;
  open = 0;
  /** Becomes what a tree for as many parts is. */
  copy(from) {
    this.w.set(from.w);
    this.h.set(from.h);
    this.is.set(from.is);
    this.turned.set(from.turned);
    this.parent.set(from.parent);
    this.first.set(from.first);
    this.next.set(from.next);
    this.previous.set(from.previous);
    this.free.set(from.free);
    this.at.set(from.at);
    this.spare.set(from.spare);
    this.nodeOf.set(from.nodeOf);
    this.spares = from.spares;
    this.open = from.open;
  }
  /** A cloth of this size (nm, with the gap) with nothing on it. */
  clear(width, height) {
    this.nodeOf.fill(NONE);
    this.open = 0;
    this.spares = this.spare.length;
    for (let i = 0; i < this.spares; i++) this.spare[i] = this.spares - 1 - i;
    this.list(this.make(width, height, NONE));
  }
  /** True when there are no nodes left for another part: its two cuts take four. */
  get isFull() {
    return this.spares < 4;
  }
  /** Lays a part into a free rectangle's corner. Cut across first, the rest beside it is as high as the rectangle; else the rest beyond is as wide. */
  lay(part, { w, h, turned }, node, acrossFirst) {
    const one = acrossFirst ? this.split(this.split(node, ACROSS, w), ALONG, h) : this.split(this.split(node, ALONG, h), ACROSS, w);
    this.unlist(one);
    this.is[one] = part;
    this.turned[one] = turned;
    this.nodeOf[part] = one;
  }
  /**
   * Makes free the subtree that begins so many levels above a part, fewer where it has more than `most` parts; the parts
   * that were on it are added to `out`.
   */
  takeOff(part, levels, most, out) {
    let node = this.nodeOf[part];
    for (let up = 0; up < levels && node !== ROOT; up++) {
      if (this.partsBelow(this.parent[node], most) > most) break;
      node = this.parent[node];
    }
    this.empty(node, out);
    this.list(node);
    this.join(node);
  }
  /** Makes the cloth so much (nm) shorter; the parts that are in the way, of which `any` of so many is chosen, are added to `out`. */
  shorten(less, any, out) {
    this.shrink(ROOT, less, any, out);
  }
  /** Divides an empty cloth as a lay asks for; false when straight cuts can't. */
  divide(boxes) {
    return this.divideNode(ROOT, boxes);
  }
  /** Tells of each part where it lies from the corner of the cloth (nm), what is free last in each row and column. */
  each(tell) {
    const visit = (node, x, y) => {
      const is = this.is[node];
      if (is >= 0) return tell(is, x, y, this.turned[node]);
      let [kx, ky] = [x, y];
      for (const kid of this.kidsOf(node)) {
        if (this.is[kid] === FREE) continue;
        visit(kid, kx, ky);
        if (is === ACROSS) kx += this.w[kid];
        else ky += this.h[kid];
      }
    };
    visit(ROOT, 0, 0);
  }
  make(w, h, parent) {
    const node = this.spare[--this.spares];
    this.w[node] = w;
    this.h[node] = h;
    this.is[node] = FREE;
    this.parent[node] = parent;
    this.first[node] = this.next[node] = this.previous[node] = NONE;
    this.at[node] = NONE;
    return node;
  }
  drop(node) {
    this.unlist(node);
    this.spare[this.spares++] = node;
  }
  /** Makes a node free: it is in the list when some part could fit. */
  list(node) {
    this.is[node] = FREE;
    const isOpen = this.w[node] >= this.narrowest && this.h[node] >= this.narrowest;
    if (isOpen === this.at[node] >= 0) return;
    if (!isOpen) return this.unlist(node);
    this.at[node] = this.open;
    this.free[this.open++] = node;
  }
  unlist(node) {
    if (this.at[node] === NONE) return;
    const last = this.free[--this.open];
    this.free[this.at[node]] = last;
    this.at[last] = this.at[node];
    this.at[node] = NONE;
  }
  linkBefore(node, before) {
    const previous = this.previous[before];
    this.previous[node] = previous;
    this.next[node] = before;
    this.previous[before] = node;
    if (previous === NONE) this.first[this.parent[before]] = node;
    else this.next[previous] = node;
  }
  unlink(node) {
    const [previous, next] = [this.previous[node], this.next[node]];
    if (previous === NONE) this.first[this.parent[node]] = next;
    else this.next[previous] = next;
    if (next !== NONE) this.previous[next] = previous;
  }
  kidsOf(node) {
    const kids = [];
    for (let kid = this.first[node]; kid !== NONE; kid = this.next[kid]) kids.push(kid);
    return kids;
  }
  /** How many parts lie below a node; more than `most` need not be counted to the end. */
  partsBelow(node, most) {
    if (this.is[node] >= 0) return 1;
    let count = 0;
    for (let kid = this.first[node]; kid !== NONE && count <= most; kid = this.next[kid])
      count += this.partsBelow(kid, most - count);
    return count;
  }
  /** A node's size in the direction that a cut divides. */
  sizeOf(node, cut) {
    return cut === ACROSS ? this.w[node] : this.h[node];
  }
  grow(node, cut, by) {
    if (cut === ACROSS) this.w[node] += by;
    else this.h[node] += by;
  }
  /** Cuts a free rectangle in two; returns the first of the two, of the size that is asked for, and the rest is the next. */
  split(node, cut, size) {
    const whole = this.sizeOf(node, cut);
    if (size === whole) return node;
    const parent = this.parent[node];
    let rest = node;
    if (parent !== NONE && this.is[parent] === cut) this.grow(node, cut, -size);
    else {
      rest = this.make(this.w[node], this.h[node], node);
      this.grow(rest, cut, -size);
      this.unlist(node);
      this.is[node] = cut;
      this.first[node] = rest;
    }
    const one = this.make(this.w[rest], this.h[rest], this.parent[rest]);
    this.grow(one, cut, size - this.sizeOf(one, cut));
    this.linkBefore(one, rest);
    this.list(rest);
    this.list(one);
    return one;
  }
  /** Drops all below a node. */
  empty(node, out) {
    const is = this.is[node];
    if (is >= 0) {
      this.nodeOf[is] = NONE;
      out.push(is);
      return;
    }
    for (let kid = this.first[node]; kid !== NONE; ) {
      const next = this.next[kid];
      this.empty(kid, out);
      this.drop(kid);
      kid = next;
    }
    this.first[node] = NONE;
  }
  /** Joins a node that has become free with what is free beside it; a node of which all is free is free itself. */
  join(from) {
    for (let node = from; node !== ROOT; ) {
      const parent = this.parent[node];
      for (let kid = this.first[parent]; kid !== NONE; kid = this.next[kid]) {
        if (kid === node || this.is[kid] !== FREE) continue;
        const cut = this.is[parent];
        this.grow(node, cut, this.sizeOf(kid, cut));
        this.unlink(kid);
        this.drop(kid);
        this.list(node);
        break;
      }
      if (this.first[parent] !== node || this.next[node] !== NONE) return;
      this.drop(node);
      this.first[parent] = NONE;
      this.list(parent);
      node = parent;
    }
  }
  shrink(node, less, any, out) {
    if (this.is[node] >= 0) this.empty(node, out);
    else if (this.is[node] === ACROSS) for (const kid of this.kidsOf(node)) this.shrink(kid, less, any, out);
    else if (this.is[node] === ALONG) {
      for (; ; ) {
        const kids = this.kidsOf(node);
        const free = kids.find((kid) => this.is[kid] === FREE);
        if (free !== void 0 && this.h[free] >= less) {
          this.grow(free, ALONG, -less);
          if (this.h[free] > 0) this.list(free);
          else {
            this.unlink(free);
            this.drop(free);
          }
          break;
        }
        const full = kids.filter((kid) => kid !== free);
        const gone = full[any(full.length)];
        this.empty(gone, out);
        if (free !== void 0) {
          this.grow(gone, ALONG, this.h[free]);
          this.unlink(free);
          this.drop(free);
        }
        this.list(gone);
      }
    }
    this.h[node] -= less;
    if (this.first[node] === NONE) this.list(node);
  }
  divideNode(node, boxes) {
    if (this.isFull) return false;
    const [only] = boxes;
    if (boxes.length === 1) {
      this.lay(only.part, only.way, node, true);
      return true;
    }
    for (const cut of [ALONG, ACROSS]) {
      const groups = groupsOf(boxes, cut);
      if (groups.length === 1 && groups[0].size === this.sizeOf(node, cut)) continue;
      let rest = node;
      for (const group of groups) {
        if (this.isFull) return false;
        const one = this.split(rest, cut, group.size);
        if (one !== rest) rest = this.next[one];
        if (!this.divideNode(one, group.boxes)) return false;
      }
      return true;
    }
    return boxes.length === 0;
  }
};
function groupsOf(boxes, cut) {
  const from = ({ x, y }) => cut === ALONG ? y : x;
  const groups = [];
  let [start, end] = [0, -Infinity];
  for (const box of [...boxes].sort((a, b) => from(a) - from(b))) {
    if (from(box) >= end) {
      groups.push({ size: 0, boxes: [] });
      start = end = from(box);
    }
    const group = groups.at(-1);
    group.boxes.push(box);
    end = Math.max(end, from(box) + (cut === ALONG ? box.way.h : box.way.w));
    group.size = end - start;
  }
  return groups;
}

// src/core/lay/recut.ts
var ROOTS = 5;
var MOST_OFF = 16;
var LEVELS = 3;
var MOST_SUBTREES = 4;
var HEAT = 0.05;
var WHOLENESS = 0.05;
var Recut = class {
  constructor(job, parts, random) {
    this.parts = parts;
    this.random = random;
    const [{ left, right }] = job.stock;
    const { gap } = job;
    this.gap = gap;
    this.left = left;
    this.width = right - left + gap;
    this.ways = parts.map((part) => partWays(part, gap));
    this.areas = Float64Array.from(this.ways, ([way]) => way.w * way.h);
    this.mean = this.areas.reduce((sum2, area) => sum2 + area, 0) / parts.length;
    this.narrowest = Math.min(...this.ways.flat().flatMap(({ w, h }) => [w, h]));
    this.now = new CutTree(parts.length, this.narrowest);
    this.kept = new CutTree(parts.length, this.narrowest);
    this.keys = new Float64Array(parts.length);
  }
  parts;
  random;
  ways;
  areas;
  mean;
  width;
  left;
  gap;
  narrowest;
  now;
  kept;
  cost = Infinity;
  length = 0;
  /** What is to be laid; what is laid nowhere in this step, and in the lay that is kept. */
  out = [];
  failed = [];
  missing = [];
  keys;
  /** The furthest point (nm) of the lay that is kept. */
  get used() {
    const { kept, gap } = this;
    let used = 0;
    kept.each((part, _, y) => used = Math.max(used, y + kept.h[kept.nodeOf[part]] - gap));
    return used;
  }
  /** True when all parts are laid. */
  get isWhole() {
    return this.missing.length === 0;
  }
  /** Takes over a lay with a length of `used` nm; where straight cuts can't divide it, all is laid anew below that length as far as it goes. */
  load({ x, y, turned }, used) {
    this.clear(used);
    const boxes = this.parts.map((_, part) => {
      const way = this.ways[part].find((one) => one.turned === turned[part] % 2);
      return { part, way, x: x[part] - this.left, y: y[part] };
    });
    if (!this.now.divide(boxes)) this.build(used);
    else this.keep(this.costNow());
  }
  /** Lays all parts below a length (nm) as far as they go there, the large ones first. */
  build(target) {
    this.clear(target);
    this.failed = Array.from(this.parts, (_, i) => i).sort((a, b) => this.areas[b] - this.areas[a] || a - b).filter((part) => !this.layBest(part));
    this.keep(this.costNow());
  }
  /** Shortens the cloth to a length (nm); what finds no place is laid nowhere. */
  aim(target) {
    const less = this.length - target;
    this.length = target;
    this.gatherMissing();
    this.now.shorten(less, (count) => this.random.below(count), this.out);
    this.layOut();
    this.keep(this.costNow());
  }
  /** One step: some subtrees are taken off and all that is laid nowhere is tried again; true when it stays. */
  tryStep() {
    const { now, random } = this;
    this.gatherMissing();
    for (let times = 1 + random.below(MOST_SUBTREES); times > 0; times--) {
      const part = random.below(this.parts.length);
      if (now.nodeOf[part] >= 0) now.takeOff(part, random.below(LEVELS + 1), MOST_OFF, this.out);
    }
    this.layOut();
    const cost = this.costNow();
    const stays = cost <= this.cost - HEAT * Math.log(Math.max(1e-12, random.next()));
    if (stays) this.keep(cost);
    else now.copy(this.kept);
    return stays;
  }
  /** Where the parts lie on the cloth; fills x, y and turned by part. */
  unfold(x, y, turned) {
    this.kept.each((part, px, py, way) => {
      x[part] = this.left + px;
      y[part] = py;
      turned[part] = way;
    });
  }
  clear(length) {
    this.length = length;
    this.now.clear(this.width, length + this.gap);
    this.failed = [];
  }
  keep(cost) {
    this.kept.copy(this.now);
    this.cost = cost;
    [this.missing, this.failed] = [this.failed, this.missing];
  }
  gatherMissing() {
    this.out.length = 0;
    for (const part of this.missing) this.out.push(part);
  }
  /** Lays what is to be laid, mostly the large ones first. */
  layOut() {
    const { out, keys, random } = this;
    const bySide = random.below(4) === 0;
    const noise = 0.1 + random.next() * 0.5;
    for (const i of out) {
      const { width, height } = this.parts[i];
      const key = bySide ? Math.max(width, height) ** 2 : width * height;
      keys[i] = key * (1 + noise * (random.next() * 2 - 1));
    }
    out.sort((a, b) => keys[b] - keys[a] || a - b);
    this.failed.length = 0;
    for (const part of out) if (!this.layBest(part)) this.failed.push(part);
  }
  costNow() {
    const { now } = this;
    let cost = 0;
    for (const part of this.failed) cost += this.areas[part] / this.mean;
    for (let k = 0; k < now.open; k++) cost -= WHOLENESS * this.worth(now.w[now.free[k]], now.h[now.free[k]]);
    return cost;
  }
  worth(w, h) {
    if (w < this.narrowest || h < this.narrowest) return 0;
    const area = w * h / this.mean;
    let root = area;
    for (let k = 0; k < ROOTS; k++) root = Math.sqrt(root);
    return area * root;
  }
  /** Lays a part where that costs least of what the free rectangles are worth; false where there is no room. */
  layBest(part) {
    const { now } = this;
    let best = Infinity;
    let bestNode = -1;
    let bestWay = null;
    let bestFirst = false;
    const ways = this.ways[part];
    for (let k = 0; k < now.open; k++) {
      const node = now.free[k];
      const [w, h] = [now.w[node], now.h[node]];
      let whole = -1;
      for (let i = 0; i < ways.length; i++) {
        const way = ways[i];
        const [right, above] = [w - way.w, h - way.h];
        if (right < 0 || above < 0) continue;
        if (whole < 0) whole = this.worth(w, h);
        const acrossFirst = whole - this.worth(right, h) - this.worth(way.w, above);
        if (acrossFirst < best) [best, bestNode, bestWay, bestFirst] = [acrossFirst, node, way, true];
        if (right === 0 || above === 0) continue;
        const alongFirst = whole - this.worth(right, way.h) - this.worth(w, above);
        if (alongFirst < best) [best, bestNode, bestWay, bestFirst] = [alongFirst, node, way, false];
      }
    }
    if (!bestWay || now.isFull) return false;
    now.lay(part, bestWay, bestNode, bestFirst);
    return true;
  }
};

// src/core/lay/rows.ts
var SEEDS = 4;
var FILLINGS = 1;
var MOST_ROWS2 = 3;
var LATE2 = 60;
var GATHER = 0.1;
var STACKED = 0.05;
var suitsRows = ({ stock, straight }, parts) => straight && stock.length === 1 && stock[0].length === Infinity && stock[0].flaws.length === 0 && !stock[0].outline && parts.every(({ match }) => !match);
var Rows = class {
  constructor(job, parts, random, width) {
    this.job = job;
    this.parts = parts;
    this.random = random;
    this.width = width + job.gap;
    this.kinds = gatherKinds(job, parts).kinds;
    this.counts = new Int32Array(this.kinds.length);
    this.narrowest = Math.min(...this.kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h])));
    this.restart();
  }
  job;
  parts;
  random;
  kinds;
  counts;
  width;
  narrowest;
  rows = [];
  /** The kinds of which some wait to be laid. */
  waiting = [];
  cost = Infinity;
  late = [];
  steps = 0;
  /** Begins anew with all parts: some rows as they are given, what is in none of them in others. */
  restart(full = []) {
    this.kinds.forEach(({ members }, k) => this.counts[k] = members.length);
    const given = full.map(({ height, parts }) => {
      const puts = parts.map(({ part, x, y, turned }) => {
        const kind = this.kinds.findIndex(({ members }) => members.includes(part));
        this.counts[kind]--;
        return { kind, way: this.kinds[kind].ways.find((way) => way.turned === turned), x, y };
      });
      return { height, waste: 0, puts };
    });
    this.rows = [...given, ...this.pile()];
    this.cost = this.costOf(this.rows);
    this.late = new Array(LATE2).fill(this.cost);
  }
  /** Whether every part lies in a row: one that is wider than the pile can't. */
  get isWhole() {
    return this.rows.reduce((sum2, { puts }) => sum2 + puts.length, 0) === this.parts.length;
  }
  /** The length that the rows take (nm). */
  get used() {
    return this.rows.reduce((sum2, { height }) => sum2 + height, 0) - this.job.gap;
  }
  /** Takes some rows apart and lays them again; true when the lay has become shorter. */
  tryStep() {
    const { random } = this;
    const before = this.used;
    const chosen = /* @__PURE__ */ new Set();
    const count = Math.min(this.rows.length, 2 + random.below(MOST_ROWS2 - 1));
    while (chosen.size < count) {
      const row = this.rows[random.below(this.rows.length)];
      if (row.waste > 0 || random.next() < 0.3 || chosen.size + 1 === count) chosen.add(row);
    }
    for (const { puts } of chosen) for (const { kind } of puts) this.counts[kind]++;
    const rows = [...this.rows.filter((row) => !chosen.has(row)), ...this.pile()];
    const cost = this.costOf(rows);
    const slot = this.steps++ % LATE2;
    if (cost <= this.cost || cost <= this.late[slot]) {
      this.rows = rows;
      this.cost = cost;
    }
    this.late[slot] = this.cost;
    return this.used < before;
  }
  /** Where the parts lie from the left end of the lowest row; fills x, y and turned by part. */
  unfold(x, y, turned) {
    const next = this.kinds.map(() => 0);
    let base = 0;
    for (const { height, puts } of this.rows) {
      for (const { kind, way, x: px, y: py } of puts) {
        const part = this.kinds[kind].members[next[kind]++];
        x[part] = px;
        y[part] = base + py;
        turned[part] = way.turned;
      }
      base += height;
    }
  }
  costOf(rows) {
    const length = rows.reduce((sum2, { height }) => sum2 + height, 0);
    const gathered = rows.reduce(
      (sum2, { waste, height }) => sum2 + waste / this.width * (waste / this.width / height),
      0
    );
    return length - GATHER * gathered;
  }
  /** Lays all that waits in rows, the least wasteful of a few tries each time. */
  pile() {
    const rows = [];
    this.waiting = this.kinds.map((_, kind) => kind).filter((kind) => this.counts[kind] > 0);
    for (; ; ) {
      this.waiting = this.waiting.filter((kind) => this.counts[kind] > 0);
      const seeds = this.seeds();
      if (seeds.length === 0) return rows;
      let best = null;
      let bestValue = Infinity;
      for (const { kind, way } of seeds) {
        for (let go = 0; go < FILLINGS; go++) {
          const row = this.fillRow(kind, way);
          const value = row.waste / row.height;
          if (value < bestValue) {
            best = row;
            bestValue = value;
          }
          for (const put of row.puts) this.counts[put.kind]++;
          if (row.waste === 0) break;
        }
      }
      for (const put of best.puts) this.counts[put.kind]--;
      rows.push(best);
    }
  }
  /** Parts that may give a row its height: high ones, with some chance in it. */
  seeds() {
    const all = [];
    for (const kind of this.waiting) {
      for (const way of this.kinds[kind].ways)
        if (way.w <= this.width) all.push({ kind, way, key: (way.h + 0.3 * way.w) * (0.6 + 0.8 * this.random.next()) });
    }
    return all.sort((a, b) => b.key - a.key).slice(0, SEEDS);
  }
  fillRow(kind, way) {
    const row = { height: way.h + this.stacked(kind), waste: 0, puts: [] };
    this.put(row, kind, way, 0, 0, this.width, row.height);
    return row;
  }
  /** What is to stand on the seed in a row of several parts' height: nothing, or one or two others. */
  stacked(seed) {
    const { random } = this;
    let height = 0;
    this.counts[seed]--;
    while (random.next() < STACKED) {
      const kind = this.waiting[random.below(this.waiting.length)];
      if (this.counts[kind] === 0) break;
      const { ways } = this.kinds[kind];
      height += ways[random.below(ways.length)].h;
    }
    this.counts[seed]++;
    return height;
  }
  put(row, kind, way, x, y, w, h) {
    this.counts[kind]--;
    row.puts.push({ kind, way, x, y });
    const [right, above] = [w - way.w, h - way.h];
    const aboveFirst = Math.max(w * above, right * way.h);
    const rightFirst = Math.max(right * h, way.w * above);
    if (aboveFirst * (0.7 + 0.6 * this.random.next()) >= rightFirst) {
      this.fill(row, x + way.w, y, right, way.h);
      this.fill(row, x, y + way.h, w, above);
    } else {
      this.fill(row, x + way.w, y, right, h);
      this.fill(row, x, y + way.h, way.w, above);
    }
  }
  /** Fills a free rectangle with the part that fits its corner best, then what that leaves. */
  fill(row, x, y, w, h) {
    if (w <= 0 || h <= 0) return;
    if (w < this.narrowest || h < this.narrowest) {
      row.waste += w * h;
      return;
    }
    let bestKind = -1;
    let bestWay = null;
    let bestScore = -Infinity;
    for (const kind of this.waiting) {
      if (this.counts[kind] === 0) continue;
      for (const way of this.kinds[kind].ways) {
        if (way.w > w || way.h > h) continue;
        const [right, above] = [w - way.w, h - way.h];
        const slivers = (right > 0 && right < this.narrowest ? right * way.h : 0) + (above > 0 && above < this.narrowest ? above * way.w : 0);
        const fits = (right === 0 ? 1 : 0) + (above === 0 ? 1 : 0);
        const score = (fits + way.w * way.h / (w * h) - 2 * slivers / (w * h)) * (0.75 + 0.5 * this.random.next());
        if (score > bestScore) {
          bestScore = score;
          bestKind = kind;
          bestWay = way;
        }
      }
    }
    if (!bestWay) {
      row.waste += w * h;
      return;
    }
    this.put(row, bestKind, bestWay, x, y, w, h);
  }
};

// src/core/lay/openings.ts
var raised = (y, rest, every) => every === 0 ? y : y + wrap(rest - y, every);

// src/core/lay/columns.ts
function profileOf(ring, width, height, step, margin) {
  const bare = Math.max(1, Math.ceil(width / step));
  const low = new Float64Array(bare).fill(Infinity);
  const high = new Float64Array(bare).fill(-Infinity);
  const meet = (column, y) => {
    if (y < low[column]) low[column] = y;
    if (y > high[column]) high[column] = y;
  };
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [[ax, ay], [bx, by]] = ring[j][0] <= ring[i][0] ? [ring[j], ring[i]] : [ring[i], ring[j]];
    const first = Math.min(bare - 1, Math.floor(ax / step));
    const last = Math.min(bare - 1, Math.max(first, Math.ceil(bx / step) - 1));
    const at = (x) => bx === ax ? ay : ay + (by - ay) * (x - ax) / (bx - ax);
    for (let column = first; column <= last; column++) {
      meet(column, at(Math.max(ax, column * step)));
      meet(column, at(Math.min(bx, (column + 1) * step)));
    }
    if (ax === bx) meet(first, by);
  }
  const reach = Math.ceil(margin / step);
  const count = Math.ceil((width + 2 * margin) / step);
  const grown = {
    width: width + 2 * margin,
    height: height + 2 * margin,
    low: new Float64Array(count).fill(Infinity),
    high: new Float64Array(count).fill(-Infinity)
  };
  for (let column = 0; column < count; column++) {
    const [from, to] = [Math.max(0, column - 2 * reach), Math.min(bare - 1, column)];
    for (let k = from; k <= to; k++) {
      grown.low[column] = Math.min(grown.low[column], Math.floor(low[k]));
      grown.high[column] = Math.max(grown.high[column], Math.ceil(high[k]) + 2 * margin);
    }
  }
  return grown;
}
var Columns = class {
  constructor(left, right, bottom, top, step) {
    this.left = left;
    this.right = right;
    this.bottom = bottom;
    this.top = top;
    this.step = step;
    this.opening = { from: bottom, to: Infinity, left, right };
    this.clear();
  }
  left;
  right;
  bottom;
  top;
  step;
  columns = [];
  hints = new Int32Array(64);
  opening;
  isSeen = false;
  clear() {
    this.columns = [];
    this.columns.push({ from: this.left, low: [this.bottom], high: [this.top] });
  }
  get count() {
    return this.columns.length;
  }
  /** How many places `placesFor` may give. */
  get mostPlaces() {
    return 2 * this.count + 1;
  }
  /** As in `Bands`, but columns know of no shut ones: there is one opening, the whole length. */
  startLooking() {
    this.isSeen = false;
  }
  nextOpening() {
    if (this.isSeen) return false;
    return this.isSeen = true;
  }
  /** Places across where a column starts or ends, for a part of that width, as in `Bands`. */
  placesFor(width, left, right, into) {
    let n = 0;
    for (const { from } of this.columns) {
      if (from >= left && from + width <= right) into[n++] = from;
      if (from - width >= left && from <= right) into[n++] = from - width;
    }
    if (right - width >= left) into[n++] = right - width;
    return n;
  }
  indexOf(x) {
    let [low, high] = [0, this.columns.length - 1];
    while (low < high) {
      const middle = low + high + 1 >> 1;
      if (this.columns[middle].from <= x) low = middle;
      else high = middle - 1;
    }
    return low;
  }
  /** Makes x the start of a column and returns its number. */
  splitAt(x) {
    if (x >= this.right) return this.columns.length;
    const i = this.indexOf(x);
    const column = this.columns[i];
    if (column.from === x) return i;
    this.columns.splice(i + 1, 0, { from: x, low: column.low.slice(), high: column.high.slice() });
    return i + 1;
  }
  /**
   * The lowest place at x (nm, the part's left side) from `least` up, or Infinity when there is none below `limit`. Where
   * `every` is not 0, only places count that lie at `rest` in steps of `every`.
   */
  lowestAt(x, { width, height, low, high }, least, limit, rest, every) {
    const { columns, step } = this;
    const end = x + width;
    if (x < this.left || end > this.right) return Infinity;
    const first = this.indexOf(x);
    let last = first;
    while (last + 1 < columns.length && columns[last + 1].from < end) last++;
    const count = last - first + 1;
    if (this.hints.length < count) this.hints = new Int32Array(2 * count);
    const { hints } = this;
    hints.fill(0, 0, count);
    let y = raised(least, rest, every);
    let agreed = 0;
    for (let i = first; ; i = i === last ? first : i + 1) {
      const column = columns[i];
      let [bottom, top] = [0, height];
      if (low) {
        const to = i + 1 < columns.length ? columns[i + 1].from : this.right;
        const from = column.from <= x ? 0 : Math.floor((column.from - x) / step + 1e-9);
        const until = Math.ceil((Math.min(to, end) - x) / step - 1e-9);
        bottom = low[from];
        top = high[from];
        for (let k2 = from + 1; k2 < until; k2++) {
          bottom = Math.min(bottom, low[k2]);
          top = Math.max(top, high[k2]);
        }
      }
      const { low: lows, high: highs } = column;
      let k = hints[i - first];
      if (k === 0 && y > 0) k = firstReaching(highs, y + top);
      while (k < highs.length && (highs[k] < y + top || highs[k] - lows[k] < top - bottom)) k++;
      if (k === highs.length) return Infinity;
      hints[i - first] = k;
      const needed = lows[k] - bottom;
      if (needed > y) {
        y = raised(needed, rest, every);
        if (y > limit) return Infinity;
        agreed = every > 0 && highs[k] < y + top ? 0 : 1;
      } else agreed++;
      if (agreed >= count) return y;
    }
  }
  /** Takes a part's shape at (x, y) out of the free cloth, or gives it back. */
  take(x, y, profile) {
    this.change(x, y, profile, subtract);
  }
  give(x, y, profile) {
    this.change(x, y, profile, add);
  }
  change(x, y, { width, height, low, high }, how) {
    const first = this.splitAt(Math.max(x, this.left));
    const end = this.endAfter(x, width, low);
    for (let i = first; i < end; i++) {
      const column = this.columns[i];
      if (!low) how(column, y, y + height);
      else {
        const k = Math.floor((column.from - x) / this.step + 1e-9);
        how(column, y + low[k], y + high[k]);
      }
    }
  }
  /** Divides the columns where a shape starts, ends and has its steps; the number of the first one after it. */
  endAfter(x, width, low) {
    if (low) for (let k = 1; k < low.length; k++) this.splitAt(x + k * this.step);
    return this.splitAt(Math.min(x + width, this.right));
  }
  /** Joins neighbours that have become alike again. */
  tidy() {
    this.columns = this.columns.filter((column, i) => {
      const before = this.columns[i - 1];
      return !before || before.low.length !== column.low.length || before.low.some((y, k) => y !== column.low[k]) || before.high.some((y, k) => y !== column.high[k]);
    });
  }
};
function firstReaching(highs, y) {
  let [low, high] = [0, highs.length];
  while (low < high) {
    const middle = low + high >> 1;
    if (highs[middle] < y) low = middle + 1;
    else high = middle;
  }
  return low;
}
function subtract({ low, high }, from, to) {
  for (let k = low.length - 1; k >= 0; k--) {
    if (low[k] >= to || high[k] <= from) continue;
    const [a, b] = [low[k], high[k]];
    if (a < from && b > to) {
      high[k] = from;
      low.splice(k + 1, 0, to);
      high.splice(k + 1, 0, b);
    } else if (a < from) high[k] = from;
    else if (b > to) low[k] = to;
    else {
      low.splice(k, 1);
      high.splice(k, 1);
    }
  }
}
function add({ low, high }, from, to) {
  let k = 0;
  while (k < low.length && high[k] < from) k++;
  const joinsBelow = k < low.length && high[k] === from;
  const above = joinsBelow ? k + 1 : k;
  const joinsAbove = above < low.length && low[above] === to;
  if (joinsBelow && joinsAbove) {
    high[k] = high[above];
    low.splice(above, 1);
    high.splice(above, 1);
  } else if (joinsBelow) high[k] = to;
  else if (joinsAbove) low[above] = from;
  else {
    low.splice(k, 0, from);
    high.splice(k, 0, to);
  }
}

// src/core/lay/gaps.ts
function freeBoxes(boxes, bounds, leastWidth, leastHeight) {
  const [left, bottom, right, top] = bounds;
  const found = [];
  const byBottom = [...boxes].sort((a, b) => a[1] - b[1]);
  const grow = (x0, x1, y, over, from) => {
    if (x1 - x0 < leastWidth || x1 <= over[0] || x0 >= over[2]) return;
    let k = from;
    while (k < byBottom.length) {
      const [bx0, by0, bx1, by1] = byBottom[k];
      if (by0 >= top) break;
      if (by1 > y && bx0 < x1 && bx1 > x0) break;
      k++;
    }
    const above = k < byBottom.length && byBottom[k][1] < top ? byBottom[k] : null;
    const end = above ? above[1] : top;
    if (end - y >= leastHeight) found.push([x0, y, x1, end]);
    if (!above) return;
    grow(x0, Math.min(x1, above[0]), y, over, k + 1);
    grow(Math.max(x0, above[2]), x1, y, over, k + 1);
  };
  grow(left, right, bottom, [left, bottom, right, bottom], 0);
  for (const box of boxes) if (box[3] > bottom && box[3] + leastHeight <= top) grow(left, right, box[3], box, 0);
  return found;
}
function without(box, [cx0, cy0, cx1, cy1]) {
  const [x0, y0, x1, y1] = box;
  if (cx0 >= x1 || cx1 <= x0 || cy0 >= y1 || cy1 <= y0) return [box];
  const rest = [];
  if (cx0 > x0) rest.push([x0, y0, cx0, y1]);
  if (cx1 < x1) rest.push([cx1, y0, x1, y1]);
  if (cy0 > y0) rest.push([x0, y0, x1, cy0]);
  if (cy1 < y1) rest.push([x0, cy1, x1, y1]);
  return rest;
}

// src/core/lay/from-gaps.ts
var NOISE4 = 0.5;
var leastGap = (wants) => Math.floor(Math.min(...wants.map(leastCut)) / Math.SQRT2);
function cutFromGaps(wants, gaps, margin, gap, most, random) {
  const cuts = [];
  const ranked = (stock, box) => ({ stock, box, rank: areaOf2(box) * (1 + NOISE4 * random.next()) });
  let free = gaps.map(({ stock, box }) => ranked(stock, box));
  let rest = wants;
  while (rest.length > 0 && free.length > 0 && cuts.length < most) {
    const next = free.reduce((one, other) => other.rank > one.rank ? other : one);
    free = free.filter((one) => one !== next);
    const { stock, box } = next;
    const [x, y] = [box[0] + margin, box[1] + margin];
    const taken = biasIn(box[2] - margin - x, box[3] - margin - y, rest, gap);
    if (!taken) continue;
    const { block } = taken;
    rest = taken.rest;
    cuts.push({ stock, x, y, block });
    const own = [box[0], box[1], x + block.width + margin, y + block.height + margin];
    free = [...free, next].flatMap((one) => {
      const left = one.stock === stock ? without(one.box, own) : [one.box];
      return left[0] === one.box ? [one] : left.map((some) => ranked(stock, some));
    });
  }
  return { cuts, rest };
}
var areaOf2 = ([x0, y0, x1, y1]) => (x1 - x0) * (y1 - y0);
function biasIn(width, height, wants, gap) {
  const both = [false, true].flatMap((isLying) => biasFrom(width, height, wants, gap, isLying) ?? []);
  if (both.length === 0) return null;
  const whole = both.filter(({ rest }) => rest.length === 0).map(({ block }) => block);
  if (whole.length > 0) {
    const shorter = [false, true].flatMap((isLying) => biasBlock(width, wants, gap, isLying) ?? []);
    const fitting = [...whole, ...shorter.filter((one) => one.width <= width && one.height <= height)];
    const block = fitting.reduce((one, other) => areaOfBlock(other) < areaOfBlock(one) ? other : one);
    return { block, rest: [] };
  }
  const left = (some) => some.reduce((sum2, one) => sum2 + one.length * one.width, 0);
  return both.reduce((one, other) => left(other.rest) < left(one.rest) ? other : one);
}
var areaOfBlock = ({ width, height }) => width * height;
function restOfGaps({ ways }, rest, gap, random) {
  const [known] = ways[random.below(ways.length)];
  return biasBlock(known.width, rest, gap, random.next() < 0.5);
}

// src/core/lay/bands.ts
var ROOM = 16;
var Sides = class {
  count = 0;
  at = new Float64Array(64);
  times = new Int32Array(64);
  clear() {
    this.count = 0;
  }
  /** The number of the first side at x or beyond. */
  indexOf(x) {
    let [low, high] = [0, this.count];
    while (low < high) {
      const middle = low + high >> 1;
      if (this.at[middle] < x) low = middle + 1;
      else high = middle;
    }
    return low;
  }
  add(x) {
    const i = this.indexOf(x);
    if (i < this.count && this.at[i] === x) {
      this.times[i]++;
      return;
    }
    if (this.count === this.at.length) {
      const [at, times] = [new Float64Array(2 * this.count), new Int32Array(2 * this.count)];
      at.set(this.at);
      times.set(this.times);
      this.at = at;
      this.times = times;
    }
    this.at.copyWithin(i + 1, i, this.count);
    this.times.copyWithin(i + 1, i, this.count++);
    this.at[i] = x;
    this.times[i] = 1;
  }
  remove(x) {
    const i = this.indexOf(x);
    if (--this.times[i] > 0) return;
    this.at.copyWithin(i, i + 1, this.count);
    this.times.copyWithin(i, i + 1, this.count--);
  }
};
var Bands = class {
  /**
   * `most` boxes at once, numbered from 0; `fixed` are always there. Free from `left` to `right` across and from `bottom` to
   * `top` (Infinity for an endless length) along; `high` nm is the height of a band.
   */
  constructor(left, right, bottom, top, high, most, fixed) {
    this.left = left;
    this.right = right;
    this.bottom = bottom;
    this.top = top;
    this.high = high;
    this.most = most;
    this.fixed = [...fixed];
    const all = most + fixed.length;
    this.x0 = new Float64Array(all);
    this.y0 = new Float64Array(all);
    this.x1 = new Float64Array(all);
    this.y1 = new Float64Array(all);
    this.stamps = new Int32Array(all);
    this.clear();
  }
  left;
  right;
  bottom;
  top;
  high;
  most;
  x0;
  y0;
  x1;
  y1;
  /** By band, how many boxes it meets, and their numbers by their left sides. */
  counts = new Int32Array(256);
  items = new Int32Array(256 * ROOM);
  room = ROOM;
  /**
   * By band, its free runs across (where no box reaches into it), how many there are, and how wide the widest of them is: NaN
   * where they are to be found anew.
   */
  runs = new Int32Array(256);
  runFrom = new Float64Array(256 * (ROOM + 1));
  runTo = new Float64Array(256 * (ROOM + 1));
  widest = new Float64Array(256);
  /** By band, the same between boxes that go right through it: what is wider can't reach into it at all. */
  widestThrough = new Float64Array(256);
  /** The highest band that a box was in. */
  peak = -1;
  /** The opening that was found last; for which size they are looked for, and from which band and place on. */
  opening = { from: 0, to: 0, left: 0, right: 0 };
  openWidth = 0;
  openHeight = 0;
  openBand = 0;
  openFrom = 0;
  lefts = new Sides();
  rights = new Sides();
  fixed = [];
  stamp = 0;
  stamps;
  clear() {
    this.counts.fill(0);
    this.widest.fill(NaN);
    this.widestThrough.fill(NaN);
    this.peak = -1;
    this.lefts.clear();
    this.rights.clear();
    this.rights.add(this.left);
    this.lefts.add(this.right);
    this.fixed.forEach(([x0, y0, x1, y1], k) => this.add(this.most + k, x0, y0, x1, y1));
  }
  take(i, x, y, { width, height }) {
    this.add(i, x, y, x + width, y + height);
  }
  add(i, x0, y0, x1, y1) {
    this.x0[i] = x0;
    this.y0[i] = y0;
    this.x1[i] = x1;
    this.y1[i] = y1;
    const last = this.bandOf(y1 - 1);
    if (last >= this.counts.length) this.grow(last + 1);
    if (last > this.peak) this.peak = last;
    for (let band = this.bandOf(y0); band <= last; band++) {
      if (this.counts[band] === this.room) this.widen();
      const { items } = this;
      const base = band * this.room;
      let k = base + this.counts[band]++;
      for (; k > base && this.x0[items[k - 1]] > x0; k--) items[k] = items[k - 1];
      items[k] = i;
      this.widest[band] = this.widestThrough[band] = NaN;
    }
    this.lefts.add(x0);
    this.rights.add(x1);
  }
  give(i) {
    const last = this.bandOf(this.y1[i] - 1);
    const { items } = this;
    for (let band = this.bandOf(this.y0[i]); band <= last; band++) {
      let k = band * this.room;
      const end = k + --this.counts[band];
      while (items[k] !== i) k++;
      for (; k < end; k++) items[k] = items[k + 1];
      this.widest[band] = this.widestThrough[band] = NaN;
    }
    this.lefts.remove(this.x0[i]);
    this.rights.remove(this.x1[i]);
  }
  refresh(band) {
    const { items, counts, room, x0, x1, y0, y1, runFrom, runTo, left, right } = this;
    const low = this.bottom + band * this.high;
    const high = low + this.high;
    const base = band * (room + 1);
    let n = 0;
    let [reach, widest2, through, widestThrough] = [left, 0, left, 0];
    for (let k = band * room, end = k + counts[band]; k < end; k++) {
      const i = items[k];
      const [from, to] = [x0[i], x1[i]];
      if (from > reach) {
        runFrom[base + n] = reach;
        runTo[base + n++] = from;
        if (from - reach > widest2) widest2 = from - reach;
      }
      if (to > reach) reach = to;
      if (y0[i] <= low && y1[i] >= high) {
        if (from - through > widestThrough) widestThrough = from - through;
        if (to > through) through = to;
      }
    }
    if (right > reach) {
      runFrom[base + n] = reach;
      runTo[base + n++] = right;
    }
    this.runs[band] = n;
    this.widest[band] = Math.max(widest2, right - reach);
    this.widestThrough[band] = Math.max(widestThrough, right - through);
  }
  /** Begins to look where a box of that size (nm) may lie, from the lowest place on. */
  startLooking(width, height) {
    this.openWidth = width;
    this.openHeight = height;
    this.openBand = 0;
    this.openFrom = this.bottom;
  }
  /** Finds the next `opening`; false when there is none. Nothing may come or go before the last one. */
  nextOpening() {
    const { high, bottom, peak, opening, widestThrough } = this;
    const [width, height] = [this.openWidth, this.openHeight];
    const isTall = height >= 2 * high;
    const widest2 = isTall ? this.widest : widestThrough;
    let band = this.openBand;
    while (band <= peak) {
      for (; band <= peak && !(widest2[band] < width); band++) if (Number.isNaN(widest2[band])) this.refresh(band--);
      if (band > peak) break;
      const from = this.openFrom;
      const to = bottom + (widestThrough[band] < width ? band : band + 1) * high - height;
      for (band++; band <= peak && !(widest2[band] >= width); band++)
        if (Number.isNaN(widest2[band])) this.refresh(band--);
      this.openBand = band;
      this.openFrom = Math.max(from, bottom + (widestThrough[band - 1] < width ? band : band - 1) * high);
      if (to < from) continue;
      opening.from = from;
      opening.to = to;
      if (this.findSides(width, height)) return true;
    }
    if (this.openBand > peak + 1) return false;
    this.openBand = peak + 2;
    opening.from = this.openFrom;
    opening.to = this.top - height;
    return opening.to >= opening.from && this.findSides(width, height);
  }
  /** How far a box may reach across in the opening; false when there is no room for it. */
  findSides(width, height) {
    const { opening, high, bottom, runs, runFrom, runTo, room, peak } = this;
    opening.left = this.left;
    opening.right = this.right;
    const last = Math.floor((opening.to + height - bottom) / high) - 1;
    if (height < 2 * high || last > peak) return true;
    let [left, right] = [Infinity, -Infinity];
    for (let band = Math.ceil((opening.from - bottom) / high); band <= last; band++) {
      const base = band * (room + 1);
      if (Number.isNaN(this.widest[band])) this.refresh(band);
      for (let k = base + runs[band] - 1; k >= base; k--) {
        if (runTo[k] - runFrom[k] < width) continue;
        if (runFrom[k] < left) left = runFrom[k];
        if (runTo[k] > right) right = runTo[k];
      }
    }
    opening.left = left;
    opening.right = right;
    return right - left >= width;
  }
  bandOf(y) {
    return Math.max(0, Math.floor((y - this.bottom) / this.high));
  }
  grow(bands) {
    this.resize(2 ** Math.ceil(Math.log2(bands)), this.room);
  }
  widen() {
    this.resize(this.counts.length, 2 * this.room);
  }
  /** Makes room for so many bands with so many boxes each. */
  resize(bands, room) {
    const { counts, items } = this;
    this.counts = new Int32Array(bands);
    this.counts.set(counts);
    this.items = new Int32Array(bands * room);
    counts.forEach((n, band) => this.items.set(items.subarray(band * this.room, band * this.room + n), band * room));
    this.room = room;
    this.runs = new Int32Array(bands);
    this.runFrom = new Float64Array(bands * (room + 1));
    this.runTo = new Float64Array(bands * (room + 1));
    this.widest = new Float64Array(bands).fill(NaN);
    this.widestThrough = new Float64Array(bands).fill(NaN);
  }
  /** How many places `placesFor` may give. */
  get mostPlaces() {
    return this.lefts.count + this.rights.count;
  }
  /**
   * Places across where a box of that width lies beside another, or at a selvage, and reaches no further than `from` and `to`;
   * written into `into`. Returns how many.
   */
  placesFor(width, from, to, into) {
    const { lefts, rights } = this;
    let n = 0;
    const end = to - width;
    let i = rights.indexOf(from);
    let k = lefts.indexOf(from + width);
    for (; ; ) {
      const right = i < rights.count ? rights.at[i] : Infinity;
      const left = k < lefts.count ? lefts.at[k] - width : Infinity;
      const x = Math.min(left, right);
      if (x > end) return n;
      into[n++] = x;
      if (right === x) i++;
      if (left === x) k++;
    }
  }
  /**
   * The lowest place at x (nm, the box's left side) from `least` up, or Infinity when there is none up to `limit`. Where
   * `every` is not 0, only places count that lie at `rest` in steps of `every`.
   */
  lowestAt(x, { width, height }, least, limit, rest, every) {
    const { x0, y0, x1, y1, counts, items, room, high, bottom } = this;
    const end = x + width;
    if (x < this.left || end > this.right) return Infinity;
    const bands = counts.length;
    const most = Math.min(limit, this.top - height);
    let y = raised(least, rest, every);
    search: while (y <= most) {
      const top = y + height;
      const last = Math.min(bands - 1, Math.floor((top - 1 - bottom) / high));
      for (let band = last, first = Math.floor((y - bottom) / high); band >= first; band--) {
        let above = y;
        for (let k = band * room, until = k + counts[band]; k < until; k++) {
          const i = items[k];
          if (x0[i] >= end) break;
          if (x1[i] > x && y0[i] < top && y1[i] > above) above = y1[i];
        }
        if (above > y) {
          y = raised(above, rest, every);
          continue search;
        }
      }
      return y;
    }
    return Infinity;
  }
  /** How much (nm) of the edge of a box at (x, y) touches others, a selvage or an end of the cloth. */
  touching(x, y, { width, height }) {
    const { x0, y0, x1, y1, counts, items, room, stamps } = this;
    const [end, top] = [x + width, y + height];
    let touches = 0;
    if (x === this.left) touches += height;
    if (end === this.right) touches += height;
    if (y === this.bottom) touches += width;
    if (top === this.top) touches += width;
    this.stamp++;
    const last = Math.min(counts.length - 1, this.bandOf(top));
    for (let band = this.bandOf(y - 1); band <= last; band++) {
      const base = band * room;
      for (let k = base + counts[band] - 1; k >= base; k--) {
        const i = items[k];
        if (stamps[i] === this.stamp) continue;
        stamps[i] = this.stamp;
        if (y1[i] === y || y0[i] === top) touches += Math.max(0, Math.min(end, x1[i]) - Math.max(x, x0[i]));
        else if (x1[i] === x || x0[i] === end) touches += Math.max(0, Math.min(top, y1[i]) - Math.max(y, y0[i]));
      }
    }
    return touches;
  }
};

// src/core/lay/laid-parts.ts
var COLUMNS = 220;
var LITTLE_BIAS = 0.08;
var SPEND = 0.1;
var LOWEST_BAND = 1 / 16;
var HIGHEST_BAND = 0.25;
var LaidParts = class {
  /** `mostGaps`: into so many blocks bias may be cut that comes from gaps. */
  constructor(job, pieces, sets, mostGaps) {
    this.job = job;
    const { gap, stock } = job;
    this.margin = Math.ceil(gap / 2);
    this.endless = endlessOf(stock);
    const blocks = sets.map((set) => set.ways.map((way) => way.map(blockPart)));
    this.pieceCount = pieces.length;
    const known = [...pieces, ...blocks.flat(2)];
    const hasOutlines = pieces.some(({ outlines }) => outlines);
    this.gapSet = hasOutlines ? -1 : gapSetOf(pieces, sets, this.endless < 0);
    const slots = this.gapSet < 0 ? [] : Array.from({ length: mostGaps }, () => blockPart(sets[this.gapSet].ways[0][0]));
    this.parts = [...known, ...slots];
    let next = pieces.length;
    this.ways = blocks.map((ways) => ways.map((way) => way.map(() => next++)));
    this.slots = slots.map(() => next++);
    this.way = sets.map(() => 0);
    this.inUse = this.ways.map(([first]) => first ?? []);
    this.blocked = stock.map((_, k) => this.blockedOf(k));
    const usable = Math.max(...stock.map(({ left, right }) => right - left));
    this.step = hasOutlines ? finestStep(usable, pieces) : 0;
    const m = this.margin;
    const high = bandHeight(known);
    this.spaces = stock.map(
      ({ left, right, length }, k) => hasOutlines ? new Columns(left - m, right + m, -m, length + m, this.step) : new Bands(left - m, right + m, -m, length + m, high, this.parts.length, this.blocked[k])
    );
    this.areas = Float64Array.from(this.parts, ({ width, height, outlines }) => outlines?.area ?? width * height);
    this.meanArea = this.areas.subarray(0, known.length).reduce((sum2, area) => sum2 + area, 0) / known.length;
    this.spends = new Float64Array(this.parts.length);
    if (this.gapSet >= 0) this.leastBlock = Math.min(...this.ways[this.gapSet].map(([i]) => this.areas[i]));
    this.spots = this.parts.map(() => null);
    this.active = this.parts.map((_, i) => i < pieces.length);
    this.tops = new Float64Array(this.parts.length);
    this.boxes = new Float64Array(4 * this.parts.length);
    for (const i of this.inUse.flat()) this.active[i] = true;
    this.gatherProfiles();
    const names = [...new Set(this.parts.flatMap(({ match }) => match?.group ?? []))];
    this.members = names.map((name2) => this.parts.flatMap(({ match }, i) => match?.group === name2 ? [i] : []));
    this.groupOf = Int32Array.from(this.parts, ({ match }) => match?.group ? names.indexOf(match.group) : -1);
    this.laid = new Int32Array(names.length);
    this.phases = names.map(() => null);
    this.clear();
  }
  job;
  /** The pieces first, then the blocks of all ways of each set of strips, then those from gaps. */
  parts;
  pieceCount;
  /** The free cloth of each length: bands of rectangles, or columns where outlines have to be laid. */
  spaces;
  /** By part and quarter turns; null where it may not lie so. */
  profiles = [];
  spots;
  /** Whether a part is in use: of strips only those of the way in hand are. */
  active;
  /** How far each part reaches on the endless length; Infinity when it is laid nowhere, -Infinity on others or not in use. */
  tops;
  /** From where to where each part lies across and along, or lay last. */
  boxes;
  areas;
  /** What parts cost wherever they lie: the cloth that blocks from gaps take beyond the least block. */
  spends;
  /** Half the gap, which each part has round it (nm). */
  margin;
  /** The width of a column where outlines have to be laid, or 0. */
  step;
  /** The number of the endless length, or -1. */
  endless;
  /** For each set of strips, the numbers of its parts by way, the way in use, and its parts. */
  ways;
  way;
  inUse;
  /** The set of strips on the bias that may be cut from gaps, or -1, and the parts that its blocks get then. */
  gapSet;
  slots;
  /** The area (nm²) of the least block that holds all of that set. */
  leastBlock = 0;
  /** What nothing may lie on, by length. */
  blocked;
  /** The parts of each match group, and the phase that it has. */
  members;
  phases;
  /** The mean area of a part (nm²). */
  meanArea;
  /** How many members of each group are laid. */
  laid;
  groupOf;
  gatherProfiles() {
    const known = /* @__PURE__ */ new Map();
    const m = this.margin;
    for (const { width, height, turns, outlines, piece } of this.parts) {
      const byTurn = [null, null, null, null];
      const tries = outlines ? outlines.turns : turns;
      for (const turn2 of tries) {
        const [w, h] = turn2 % 180 === 0 ? [width, height] : [height, width];
        const key = `${outlines ? piece.id : ""} ${w} ${h} ${turn2}`;
        let profile = known.get(key);
        if (!profile) {
          profile = outlines ? profileOf(turnOutline(outlines.ring, turn2), w, h, this.step, m) : { width: w + 2 * m, height: h + 2 * m, low: null, high: null };
          known.set(key, profile);
        }
        byTurn[turn2 / 90] = profile;
      }
      this.profiles.push(byTurn);
    }
  }
  /** Takes all off. */
  clear() {
    this.spots.fill(null);
    for (let i = 0; i < this.parts.length; i++) this.tops[i] = this.active[i] ? Infinity : -Infinity;
    this.phases.fill(null);
    this.laid.fill(0);
    this.spaces.forEach((space, k) => {
      space.clear();
      if (space instanceof Columns)
        for (const [x0, y0, x1, y1] of this.blocked[k])
          space.take(x0, y0, { width: x1 - x0, height: y1 - y0, low: null, high: null });
    });
  }
  /** What of a length nothing may lie on: flaws, and what lies outside an odd shape. */
  blockedOf(k) {
    const { left, right, length, flaws, outline } = this.job.stock[k];
    const m = this.margin;
    const outside = outline ? boxesOutside(outline, left, right, length) : [];
    return [...flaws, ...outside].flatMap(([x0, y0, x1, y1]) => {
      const atLeft = Math.max(left - m, x0 <= left ? x0 - m : x0 + m);
      const atRight = Math.min(right + m, x1 >= right ? x1 + m : x1 - m);
      const [low, high] = [
        Math.max(-m, y0 <= 0 ? y0 - m : y0 + m),
        Math.min(length + m, y1 >= length ? y1 + m : y1 - m)
      ];
      return atRight > atLeft && high > low ? [[atLeft, low, atRight, high]] : [];
    });
  }
  /** Takes over a lay that was found: its parts are the pieces first, then the blocks of these ways. */
  load(placing, ways) {
    this.clear();
    ways.forEach((way, s) => this.use(s, way));
    const numbers = this.activeParts();
    numbers.forEach((i, k) => {
      if (placing.stock[k] < 0) return;
      const [x, y] = [placing.x[k] - this.margin, placing.y[k] - this.margin];
      this.put(i, { stock: placing.stock[k], x, y, turned: placing.turned[k] });
    });
  }
  /** Cuts a set of strips another way; none of its blocks is laid. */
  use(set, way) {
    for (const i of this.inUse[set]) {
      this.active[i] = false;
      this.tops[i] = -Infinity;
    }
    this.way[set] = way;
    if (typeof way === "number") this.inUse[set] = this.ways[set][way] ?? [];
    else {
      this.inUse[set] = this.slots.slice(0, way.length);
      const all = way.reduce((sum2, { width, height }) => sum2 + width * height, 0);
      const spend = SPEND * Math.max(0, 1 - this.leastBlock / all);
      way.forEach((block, k) => this.fillSlot(this.slots[k], blockPart(block), spend));
    }
    for (const i of this.inUse[set]) {
      this.active[i] = true;
      this.tops[i] = Infinity;
    }
  }
  fillSlot(i, part, spend) {
    const m = this.margin;
    this.parts[i] = part;
    this.areas[i] = part.width * part.height;
    this.spends[i] = spend * this.areas[i];
    this.profiles[i] = [{ width: part.width + 2 * m, height: part.height + 2 * m, low: null, high: null }, null, null, null];
  }
  /** The parts in use: the pieces, then the blocks in the order of their sets. */
  activeParts() {
    const blocks = this.inUse.flat();
    return [...Array(this.pieceCount).keys(), ...blocks];
  }
  /** The furthest point on the endless length, Infinity when a part is laid nowhere. */
  get used() {
    let used = 0;
    for (let i = 0; i < this.tops.length; i++) if (this.tops[i] > used) used = this.tops[i];
    return used;
  }
  /** The lay as the search tells it. */
  found() {
    const numbers = this.activeParts();
    const parts = numbers.map((i) => this.parts[i]);
    const where = {
      stock: Int32Array.from(numbers, (i) => this.spots[i]?.stock ?? -1),
      x: Float64Array.from(numbers, (i) => (this.spots[i]?.x ?? 0) + this.margin),
      y: Float64Array.from(numbers, (i) => (this.spots[i]?.y ?? 0) + this.margin),
      turned: Uint8Array.from(numbers, (i) => this.spots[i]?.turned ?? 0)
    };
    return {
      parts,
      placing: measured(this.job, parts, where),
      ways: [...this.way]
    };
  }
  /** Lays a part; the first of a match group sets its phase. */
  put(i, spot) {
    this.spots[i] = spot;
    const space = this.spaces[spot.stock];
    const profile = this.profiles[i][spot.turned];
    this.tops[i] = spot.stock === this.endless ? spot.y + profile.height - this.margin : -Infinity;
    const { boxes } = this;
    boxes[4 * i] = spot.x;
    boxes[4 * i + 1] = spot.x + profile.width;
    boxes[4 * i + 2] = spot.y;
    boxes[4 * i + 3] = spot.y + profile.height;
    if (space instanceof Bands) space.take(i, spot.x, spot.y, profile);
    else space.take(spot.x, spot.y, profile);
    const group = this.groupOf[i];
    if (group < 0 || !this.job.lattice) return;
    this.laid[group]++;
    const { motif } = this.job.stock[spot.stock];
    const { match } = this.parts[i];
    this.phases[group] ??= phaseAt(match, motif, spot.x + this.margin, spot.y + this.margin, this.job.lattice);
  }
  takeOff(i) {
    const spot = this.spots[i];
    const space = this.spaces[spot.stock];
    if (space instanceof Bands) space.give(i);
    else space.give(spot.x, spot.y, this.profiles[i][spot.turned]);
    this.spots[i] = null;
    this.tops[i] = Infinity;
    const group = this.groupOf[i];
    if (group >= 0 && this.job.lattice && --this.laid[group] === 0) this.phases[group] = null;
  }
  /** The phase that a part's corner must have; null when it lies where it likes. */
  cornerPhase(i) {
    const { lattice } = this.job;
    const { match } = this.parts[i];
    if (!match || !lattice) return null;
    const [shiftX, shiftY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    if (match.group === null) return phaseOf(shiftX, shiftY, lattice);
    const phase = this.phases[this.groupOf[i]];
    return phase ? phaseOf(phase[0] + shiftX, phase[1] + shiftY, lattice) : null;
  }
};
function gapSetOf(pieces, sets, isScarce) {
  const ofBias = sets.flatMap(({ grain }, s) => grain === "bias" ? [s] : []);
  if (ofBias.length !== 1) return -1;
  const bias = sets[ofBias[0]].wants.reduce((sum2, { width, length }) => sum2 + width * length, 0);
  const rest = pieces.reduce((sum2, { width, height }) => sum2 + width * height, 0);
  return isScarce || bias <= LITTLE_BIAS * (rest + bias) ? ofBias[0] : -1;
}
function bandHeight(parts) {
  const heights = parts.reduce((sum2, { height }) => sum2 + height, 0);
  const mean = heights / Math.max(1, parts.length);
  const least = parts.reduce(
    (low, { width, height, turns }) => Math.min(low, height, turns.length > 1 ? width : height),
    Infinity
  );
  return Math.ceil(Math.min(mean * HIGHEST_BAND, Math.max(least / 2, mean * LOWEST_BAND)));
}
function finestStep(usable, parts) {
  const sides = parts.flatMap(({ width, height, outlines }) => outlines ? [] : [width, height]);
  const step = [usable, ...sides].reduce(greatestCommon);
  const wanted = usable / COLUMNS;
  const even = step / Math.max(1, Math.round(step / wanted));
  return step >= wanted / 2 && Number.isInteger(even) ? even : Math.ceil(wanted);
}

// src/core/lay/places.ts
var ROW = 14;
var OVER = 1e15;
var Places = class {
  constructor(job, spaces, step, random) {
    this.job = job;
    this.spaces = spaces;
    this.step = step;
    this.random = random;
    this.margin = Math.ceil(job.gap / 2);
    this.endless = endlessOf(job.stock);
  }
  job;
  spaces;
  step;
  random;
  /** The length (nm) that the endless cloth is to end at. */
  target = Infinity;
  /** No more places beside others than about that are looked at in each opening. */
  mostLooked = Infinity;
  /** Whether places are ranked by how much of the part's edge touches others, or by how low they are. */
  byTouch = false;
  /** The best place that a look round has found: lower scores first, then lower ties. */
  best = { stock: -1, x: 0, y: 0, turned: 0, score: Infinity, tie: Infinity };
  sides = new Float64Array(256);
  margin;
  endless;
  isRightFirst = false;
  blinks = false;
  /**
   * The best place of a part whose profiles by quarter turns are given, null when there is none. `blinks` passes over a place
   * now and then; `near` looks only there on its length.
   */
  find(profiles, phase, blinks, near) {
    const { random, best } = this;
    best.score = best.tie = Infinity;
    for (let k = 0; k < this.spaces.length; k++) {
      if (near && k !== near.stock && k !== this.endless) continue;
      for (let turned = 0; turned < 4; turned++) {
        const profile = profiles[turned];
        if (!profile || profile.low && blinks && random.next() < 0.4) continue;
        this.isRightFirst = blinks && random.next() < 0.3;
        this.blinks = blinks;
        const window2 = near !== null && k === near.stock ? near : null;
        if (profile.low && !phase) this.lookAtSteps(k, profile, turned, window2);
        else this.lookInOpenings(k, profile, turned, phase, window2);
      }
      if (best.score < Infinity && !this.byTouch) break;
    }
    return best.score === Infinity ? null : { stock: best.stock, x: best.x, y: best.y, turned: best.turned };
  }
  /** Looks for places wherever there may be any. */
  lookInOpenings(k, profile, turned, phase, near) {
    const space = this.spaces[k];
    const { width, height } = profile;
    const isAcross = phase !== null && this.job.lattice !== null && this.job.lattice.across > 0;
    const lowest = near ? Math.max(-this.margin, Math.floor(near.y0) - height) : -this.margin;
    const { opening } = space;
    space.startLooking(width, height);
    while (space.nextOpening()) {
      const highest = this.highest(k, height);
      if (opening.from > highest) break;
      const least = Math.max(lowest, opening.from);
      if (least > Math.min(highest, opening.to)) continue;
      const from = near ? Math.max(opening.left, near.x0 - width) : opening.left;
      const to = near ? Math.min(opening.right, near.x1 + width) : opening.right;
      if (isAcross) this.lookAtPhase(k, profile, turned, phase, from, to, least, opening.to);
      else this.lookAtSides(k, profile, turned, phase, from, to, least, opening.to, near !== null);
    }
  }
  /** How high (nm) a part of that height may lie at most to be better than the best place so far. */
  highest(k, height) {
    const { best, byTouch, margin, target } = this;
    if (!byTouch) return best.score - height;
    if (k !== this.endless) return Infinity;
    return (best.score < OVER ? target + margin : best.score - OVER) - height;
  }
  /** Takes the lowest place at x between `least` and `most` if it is the best so far. */
  tryAt(k, x, profile, turned, phase, least, most) {
    const { best } = this;
    if (this.blinks && this.random.next() < 0.02) return;
    const { height } = profile;
    const limit = Math.min(most, this.highest(k, height));
    const space = this.spaces[k];
    const every = phase && this.job.lattice ? this.job.lattice.along : 0;
    const y = space.lowestAt(x, profile, least, limit, every > 0 ? this.restAt(k, x, phase) : 0, every);
    if (y > limit || y === Infinity) return;
    const top = y + height;
    let score = top;
    if (this.byTouch && space instanceof Bands) {
      if (k === this.endless && top - this.margin > this.target) score = OVER + top;
      else score = -space.touching(x, y, profile) / (profile.width + height);
      if (score > best.score) return;
    }
    const tie = this.isRightFirst ? -x : x;
    if (score < best.score || tie < best.tie) {
      best.stock = k;
      best.x = x;
      best.y = y;
      best.turned = turned;
      best.score = score;
      best.tie = tie;
    }
  }
  /** Every place across that holds the phase. */
  lookAtPhase(k, profile, turned, phase, from, to, least, most) {
    const { motif } = this.job.stock[k];
    const lattice = this.job.lattice;
    const m = this.margin;
    for (let x = motif[0] + nextAcross(from + m - motif[0], phase[0], lattice) - m; x + profile.width <= to; x += lattice.across)
      this.tryAt(k, x, profile, turned, phase, least, most);
  }
  /** Places beside others. */
  lookAtSides(k, profile, turned, phase, from, to, least, most, isNear) {
    const space = this.spaces[k];
    if (space.mostPlaces > this.sides.length) this.sides = new Float64Array(2 * space.mostPlaces);
    const { sides } = this;
    const count = space.placesFor(profile.width, from, to, sides);
    const share = isNear || !this.blinks ? 1 : this.mostLooked / count;
    for (let p = 0; p < count; p++)
      if (share >= 1 || this.random.next() < share) this.tryAt(k, sides[p], profile, turned, phase, least, most);
  }
  /** For an outline, places along a coarse row of steps, then finer ones about the best of them. */
  lookAtSteps(k, profile, turned, near) {
    const { step, best } = this;
    const space = this.spaces[k];
    const start = space.left;
    const count = Math.floor((space.right - start - profile.width) / step);
    if (count < 0) return;
    const least = near ? Math.max(-this.margin, Math.floor(near.y0) - profile.height) : -this.margin;
    const tryAt = (x) => {
      if (!near || x + profile.width >= near.x0 && x <= near.x1)
        this.tryAt(k, x, profile, turned, null, least, Infinity);
    };
    const stride = 2 ** Math.max(0, Math.floor(Math.log2(count / ROW)));
    for (let c = this.random.below(stride); c <= count; c += stride) tryAt(start + c * step);
    for (let finer = stride / 2; finer >= 1; finer /= 2) {
      if (best.score === Infinity || best.turned !== turned) return;
      const { x } = best;
      if (x - finer * step >= start) tryAt(x - finer * step);
      if (x + finer * step + profile.width <= space.right) tryAt(x + finer * step);
    }
  }
  /** Where along the cloth a part that lies at x holds its phase: there, and a repeat further each time. */
  restAt(k, x, phase) {
    const [motifX, motifY] = this.job.stock[k].motif;
    const m = this.margin;
    return Math.ceil(motifY + nextAlong(x + m - motifX, 0, phase, this.job.lattice) - 1e-3) - m;
  }
};

// src/core/lay/ruin.ts
var HEAT2 = 0.06;
var MOST_OFF2 = 14;
var DRIFT2 = 0.02;
var BY_TOUCH = 0.9;
var BY_TOUCH_MATCHED = 0.35;
var MOST_GAPS = 4;
var FROM_GAPS = 0.5;
var LEAST_FREE = 0.04;
var TIDY_EVERY = 64;
var NEAR2 = 0.7;
var NEAR_PLAIN = 0.5;
var FEW_PLACES = 8;
var Ruin = class {
  constructor(job, pieces, sets, random) {
    this.job = job;
    this.sets = sets;
    this.random = random;
    const waits2 = (job.lattice?.along ?? 0) > 0 && pieces.some(({ match }) => match);
    this.touchShare = waits2 ? BY_TOUCH_MATCHED : BY_TOUCH;
    this.lay = new LaidParts(job, pieces, sets, MOST_GAPS + 1);
    this.places = new Places(job, this.lay.spaces, this.lay.step, random);
    this.keys = new Float64Array(this.lay.parts.length);
    this.temperature = this.lay.meanArea;
  }
  job;
  sets;
  random;
  lay;
  places;
  touchShare;
  hasGaps = false;
  cost = Infinity;
  temperature;
  over = [];
  keys;
  turns = 0;
  target = Infinity;
  /** Starts from a lay that was found: its parts are the pieces first, then the blocks of these ways. */
  load(placing, ways) {
    this.lay.load(placing, ways);
    this.aim(this.target);
  }
  /** Lays everything anew in an order, what a first lay of outlines is made of; yields after each part. */
  *build(compare) {
    this.lay.clear();
    for (const i of this.waiting(compare)) {
      this.layAt(i, false);
      yield;
    }
    this.aim(this.target);
  }
  /** Lays what is not laid yet, in an order. */
  layRest(compare) {
    for (const i of this.waiting(compare)) this.layAt(i, false);
    this.aim(this.target);
  }
  waiting(compare) {
    const { parts, spots } = this.lay;
    const rest = this.lay.activeParts().filter((i) => !spots[i]);
    return rest.sort((a, b) => compare(parts[a], parts[b]) || a - b);
  }
  /** Sets the target (nm on the endless length) and counts what the lay costs against it. */
  aim(target) {
    this.target = target;
    this.places.target = target;
    this.cost = this.costNow();
    this.hasGaps = this.lay.gapSet >= 0 && (this.lay.endless < 0 || this.freeShare() > LEAST_FREE);
  }
  /** How much of the cloth below the target the parts leave, as a share of it. */
  freeShare() {
    const { stock } = this.job;
    const cloth = stock.reduce(
      (sum2, { left, right, length }) => sum2 + (right - left) * (length === Infinity ? this.target : length),
      0
    );
    const taken = this.lay.areas.reduce((sum2, area, i) => sum2 + (this.lay.active[i] ? area : 0), 0);
    return 1 - taken / cloth;
  }
  costNow() {
    let cost = 0;
    for (let i = 0; i < this.lay.parts.length; i++) if (this.lay.active[i]) cost += this.costOf(i);
    return cost;
  }
  /** What a part costs where it lies now. */
  costOf(i) {
    const area = this.lay.areas[i];
    const top = this.lay.tops[i];
    if (top === Infinity) return 2 * area;
    if (top === -Infinity) return this.lay.active[i] ? this.lay.spends[i] : 0;
    const scale = Number.isFinite(this.target) && this.target > 0 ? this.target : 1e9;
    const over = top > this.target ? area * (1 + (top - this.target) / scale) : 0;
    return over + this.lay.spends[i] + DRIFT2 * area * Math.min(top, this.target) / scale;
  }
  /** The furthest point on the endless length, Infinity when a part is laid nowhere. */
  get used() {
    return this.lay.used;
  }
  get isDone() {
    return this.used <= this.target;
  }
  /** The lay as the search tells it. */
  found() {
    return this.lay.found();
  }
  /** Lays a part at its best place; false when there is none. */
  layAt(i, blinks, near = null) {
    const spot = this.places.find(this.lay.profiles[i], this.lay.cornerPhase(i), blinks, near);
    if (!spot) return false;
    this.lay.put(i, spot);
    return true;
  }
  /** One step: takes some parts off and lays them again; true when it stays. */
  tryStep() {
    const { random } = this;
    if (++this.turns % TIDY_EVERY === 0) {
      for (const space of this.lay.spaces) if (space instanceof Columns) space.tidy();
      this.cost = this.costNow();
    }
    const over = this.overTarget();
    const lead = over.length > 0 ? over[random.below(over.length)] : this.anyActive();
    const before = this.lay.phases.slice();
    const off = [];
    const old = [];
    let cost = this.cost;
    const remove = (i) => {
      if (off.includes(i)) return;
      cost -= this.costOf(i);
      off.push(i);
      old.push(this.lay.spots[i] ?? null);
      if (this.lay.spots[i]) this.lay.takeOff(i);
    };
    remove(lead);
    for (let more = random.below(3); more > 0 && over.length > 1; more--) remove(over[random.below(over.length)]);
    const dice = random.next();
    let recut2 = null;
    if (this.lay.ways.length > 0 && dice < 0.06) recut2 = this.recut(remove);
    else if (this.lay.members.length > 0 && dice < 0.16) this.removeGroup(remove);
    const window2 = this.removeWindow(lead, remove);
    const near = random.next() < (this.lay.step > 0 ? NEAR2 : this.lay.members.length > 0 ? 0 : NEAR_PLAIN) ? window2 : null;
    const again = recut2 ? [...off.filter((i) => this.lay.active[i]), ...this.lay.inUse[recut2.set].filter((i) => !off.includes(i))] : off.slice();
    this.arrange(again, lead);
    this.places.mostLooked = random.next() < 0.5 ? FEW_PLACES : Infinity;
    this.places.byTouch = this.lay.step === 0 && random.next() < this.touchShare;
    const limit = this.cost - this.temperature * HEAT2 * Math.log(Math.max(1e-12, random.next()));
    for (const i of again) {
      if (!this.layAt(i, true, near) && near) this.layAt(i, true);
      cost += this.costOf(i);
      if (cost > limit) break;
    }
    if (recut2?.isFromGaps && cost <= limit) {
      const blocks = this.cutFromGaps();
      again.push(...blocks);
      cost = blocks.length === 0 ? Infinity : blocks.reduce((sum2, i) => sum2 + this.costOf(i), cost);
    }
    if (cost <= limit) {
      this.cost = cost;
      return true;
    }
    for (const i of again) if (this.lay.spots[i]) this.lay.takeOff(i);
    if (recut2) this.lay.use(recut2.set, recut2.way);
    this.lay.phases = before;
    off.forEach((i, k) => old[k] && this.lay.put(i, old[k]));
    return false;
  }
  overTarget() {
    const { over, target } = this;
    const { tops } = this.lay;
    over.length = 0;
    for (let i = 0; i < tops.length; i++) if (tops[i] > target) over.push(i);
    return over;
  }
  anyActive() {
    for (; ; ) {
      const i = this.random.below(this.lay.parts.length);
      if (this.lay.active[i]) return i;
    }
  }
  recut(remove) {
    const set = this.random.below(this.lay.ways.length);
    const way = this.lay.way[set];
    for (const i of this.lay.inUse[set]) remove(i);
    const isFromGaps = set === this.lay.gapSet && this.hasGaps && this.random.next() < FROM_GAPS;
    this.lay.use(set, isFromGaps ? [] : this.random.below(this.lay.ways[set].length));
    return { set, way, isFromGaps };
  }
  /** Cuts bias from what is free below the target, and the rest of it as one block; its parts, none when that can't be. */
  cutFromGaps() {
    const { gapSet, margin: m, boxes } = this.lay;
    const { random } = this;
    const { gap, stock } = this.job;
    const set = this.sets[gapSet];
    const least = leastGap(set.wants) + 2 * m;
    const gaps = stock.flatMap(({ left, right, length }, k) => {
      const taken = [...this.lay.blocked[k]];
      this.lay.spots.forEach((spot, i) => {
        if (spot?.stock === k) taken.push([boxes[4 * i], boxes[4 * i + 2], boxes[4 * i + 1], boxes[4 * i + 3]]);
      });
      const end = k === this.lay.endless ? this.target : length;
      return freeBoxes(taken, [left - m, -m, right + m, end + m], least, least).map((box) => ({ stock: k, box }));
    });
    const { cuts, rest } = cutFromGaps(set.wants, gaps, m, gap, 1 + random.below(MOST_GAPS), random);
    const last = rest.length > 0 ? restOfGaps(set, rest, gap, random) : null;
    if (rest.length > 0 && !last) return [];
    this.lay.use(gapSet, [...cuts.map(({ block }) => block), ...last ? [last] : []]);
    const parts = this.lay.inUse[gapSet];
    cuts.forEach(({ stock: k, x, y }, i) => this.lay.put(parts[i], { stock: k, x: x - m, y: y - m, turned: 0 }));
    if (last) this.layAt(parts.at(-1), false);
    return parts;
  }
  removeGroup(remove) {
    const some = this.lay.members[this.random.below(this.lay.members.length)];
    if (some.length <= MOST_OFF2) for (const i of some) remove(i);
  }
  /** Takes off what lies in a window of about the size of a part, somewhere below the target. */
  removeWindow(lead, remove) {
    const { random } = this;
    const { width, height } = this.lay.parts[lead];
    const k = this.anyLength();
    const { left, right, length } = this.job.stock[k];
    const far = k === this.lay.endless ? this.target : length;
    const grow = 0.6 + random.next() * 0.9;
    const isTurned = random.next() < 0.3;
    const [w, h] = [(isTurned ? height : width) * grow, (isTurned ? width : height) * grow];
    const x0 = left + random.next() * Math.max(0, right - left - w);
    const y0 = random.next() * Math.max(0, far - h);
    let count = 0;
    const { boxes } = this.lay;
    for (let i = 0; i < this.lay.parts.length && count < MOST_OFF2; i++) {
      const box = 4 * i;
      if (boxes[box] >= x0 + w || boxes[box + 1] <= x0 || boxes[box + 2] >= y0 + h || boxes[box + 3] <= y0)
        continue;
      if (this.lay.spots[i]?.stock !== k) continue;
      remove(i);
      count++;
    }
    return { stock: k, x0, x1: x0 + w, y0 };
  }
  /** One of the lengths of cloth, each as often as it has area below the target. */
  anyLength() {
    const { stock } = this.job;
    const areaOf4 = (k2) => (k2 === this.lay.endless ? Math.max(0, this.target) : stock[k2].length) * (stock[k2].right - stock[k2].left);
    let sum2 = 0;
    for (let k2 = 0; k2 < stock.length; k2++) sum2 += areaOf4(k2);
    let at = this.random.next() * sum2;
    let k = 0;
    for (; k < stock.length - 1 && at >= areaOf4(k); k++) at -= areaOf4(k);
    return k;
  }
  arrange(numbers, lead) {
    const { random } = this;
    const { parts } = this.lay;
    const by = random.below(4);
    const noise = 0.1 + random.next() * 0.5;
    const { keys } = this;
    for (const i of numbers) {
      const { width, height } = parts[i];
      const key = by === 0 ? this.lay.areas[i] : by === 1 ? height * height : by === 2 ? width * width : width * height;
      keys[i] = key * (1 + noise * (random.next() * 2 - 1));
    }
    if (random.next() < 0.5) keys[lead] = Infinity;
    numbers.sort((a, b) => keys[b] - keys[a] || a - b);
  }
};

// src/core/lay/ruins.ts
var PASSES_A_STEP = 0.2;
var PASSES_A_SHAPE = 6;
var STEPS = 50;
var STEPS_WITHOUT = 3e4;
var TRIALS = 8;
var STEPS_OF_A_TRIAL = 6e4;
var NEARER = 0.03;
var NEARER_WITH_OUTLINES = 0.01;
var MOST_TRIED = 12;
function* ruins(room) {
  const { pieces, starts } = room;
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  if (hasOutlines) yield* firstOutlines(room);
  else {
    const steps = Math.round(STEPS_OF_A_TRIAL / starts[0].parts.length);
    for (let trial = 0; trial < TRIALS; trial++) yield* descend(room, trial === 0 ? room.best : anyStart(room), steps);
  }
  for (; ; ) yield* descend(room, room.best, Infinity);
}
function anyStart(room) {
  const { random, sets } = room;
  const setChoice = random.below(Math.max(1, sets.length));
  const ways = (sets[setChoice] ?? []).map(({ ways: ways2 }) => random.below(ways2.length));
  const made = room.assemble(setChoice, ways);
  const some = sortedOrders(made.parts);
  const order = some[random.below(some.length)];
  const rule = made.placer.rules[random.below(made.placer.rules.length)];
  return room.run({ setChoice, ways, ...made, order, rule, phases: [] }, Infinity);
}
function* firstOutlines(room) {
  const { job, pieces, sets, random } = room;
  const { setChoice } = room.best;
  const ruin = new Ruin(job, pieces, sets[setChoice] ?? [], random);
  ruin.load(room.best.placing, room.best.ways);
  for (const key of [(p) => p.width * p.height, (p) => p.height, (p) => p.width]) {
    const build = ruin.build((a, b) => key(b) - key(a));
    while (!build.next().done) yield room.spend(4 / pieces.length);
    room.consider({ ...ruin.found(), setChoice });
    yield room.spend(PASSES_A_STEP);
  }
}
function* descend(room, from, most) {
  const { job, random, limits, pieces, sets } = room;
  const endless = endlessOf(job.stock);
  const finite = job.stock.reduce((sum2, { length }) => sum2 + (length === Infinity ? 0 : length), 0);
  const floor = Math.max(0, limits.target - finite);
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const nearer = hasOutlines ? NEARER_WITH_OUTLINES : NEARER;
  const cost = hasOutlines ? PASSES_A_SHAPE : PASSES_A_STEP;
  const ruin = new Ruin(job, pieces, sets[from.setChoice] ?? [], random);
  ruin.load(from.placing, from.ways);
  let best = ruin.used;
  let known = room.best;
  const aim = () => ruin.aim(best === Infinity ? Math.max(1, floor) : Math.max(floor, best - Math.max(1, (best - floor) * nearer)));
  aim();
  let steps = 0;
  for (let stale = 0; stale < STEPS_WITHOUT && steps < most; stale += STEPS) {
    if (most === Infinity && room.best !== known && (best === Infinity || room.best.placing.used[endless] < best))
      return;
    for (let step = 0; step < STEPS; step++, steps++) {
      if (ruin.tryStep() && (ruin.isDone || best === Infinity)) {
        const before = room.best;
        room.consider({ ...ruin.found(), setChoice: from.setChoice });
        if (ruin.isDone || room.best !== before) stale = 0;
        if (room.best !== before) known = room.best;
        best = ruin.used;
        aim();
      }
      yield room.spend(cost);
    }
  }
  if (most === Infinity) return;
  room.tried.push({ ...ruin.found(), setChoice: from.setChoice });
  if (room.tried.length > MOST_TRIED) room.tried.splice(random.below(MOST_TRIED), 1);
}

// src/core/lay/squeeze.ts
var FREE2 = 800;
var MOST_TRIES = 20;
var LEAST_TRIES = 8;
var ALL_TRIES = 1200;
var ABOUT = 0.6;
var BESIDE = 3;
var TRIES = 40;
var LEAST_GAIN = 1e-3;
var BOUND = 60;
var LEAST_GROWTH = 1.2;
var MOST_GROWTH = 2;
var FADING = 0.95;
var PHASES_TRIED = 8;
var AT_ONCE = 10;
var Squeeze = class {
  constructor(job, parts, from, random) {
    this.job = job;
    this.parts = parts;
    this.from = from;
    this.random = random;
    const { shapes, turnOf, ways, fixed, clearances } = from;
    this.shapes = shapes;
    this.turnOf = turnOf;
    this.ways = ways;
    this.n = parts.length;
    this.tries = Math.max(LEAST_TRIES, Math.min(MOST_TRIES, Math.round(ALL_TRIES / this.n)));
    this.spots = [...parts.map((_, i) => ({ stock: 0, x: 0, y: 0, shape: ways[i][0] })), ...fixed];
    this.clearances = clearances;
    const count = this.spots.length;
    this.weights = new Float32Array(count * this.n).fill(1);
    [this.X, this.Y, this.right, this.top] = Array.from({ length: 4 }, () => new Float64Array(count));
    [this.on, this.shapeOf, this.near] = Array.from({ length: 3 }, () => new Int32Array(count));
    this.spots.forEach((spot, i) => this.put(i, spot));
    this.endless = endlessOf(job.stock);
    const names = [...new Set(parts.flatMap(({ match }) => match?.group ?? []))];
    this.groups = new Map(names.map((name2, g) => [name2, g]));
    this.members = names.map((name2) => parts.flatMap(({ match }, i) => match?.group === name2 ? [i] : []));
    this.phases = names.map(() => null);
  }
  job;
  parts;
  from;
  random;
  shapes;
  /** For each part the numbers of its shapes, and the turn of each shape. */
  ways;
  turnOf;
  clearances;
  weights;
  spots;
  n;
  tries;
  endless;
  groups;
  members;
  phases;
  target = 0;
  /** The cloth (nm²) of each length up to the target, and of all. */
  areas = [];
  area = 0;
  /** The best state since the target was set, by what lies in each other. */
  best = null;
  stale = 0;
  /** Where everything lies, for quick looking: corners, lengths and shapes by number. */
  X;
  Y;
  right;
  top;
  on;
  shapeOf;
  near;
  nearCount = 0;
  push = [0, 0];
  /** Starts from a whole lay, or (null) from where the parts are, pressed below a target on the endless length. */
  press(placing, target) {
    this.target = target;
    this.areas = this.job.stock.map(({ left, right }, k) => (right - left) * this.farOf(k));
    this.area = this.areas.reduce((sum2, one) => sum2 + one, 0);
    if (placing) this.load(placing);
    for (let i = 0; i < this.n; i++) {
      const spot = this.spots[i];
      if (spot.stock !== this.endless || spot.y + this.shapes[spot.shape].height <= target) continue;
      this.put(i, this.anywhere(i) ?? spot);
    }
    this.weights.fill(1);
    this.best = null;
    this.stale = 0;
  }
  /** Swaps two large parts that are not alike: a way out of where small steps lead no further. */
  disrupt() {
    const { random, spots } = this;
    const size = (i2) => this.shapes[spots[i2].shape].width * this.shapes[spots[i2].shape].height;
    const large = Array.from({ length: this.n }, (_, i2) => i2).sort((a, b) => size(b) - size(a) || a - b).slice(0, Math.ceil(this.n / 2));
    const i = large[random.below(large.length)];
    const others = large.filter((j2) => this.ways[j2][0] !== this.ways[i][0]);
    if (others.length === 0) return;
    const j = others[random.below(others.length)];
    const [one, other] = [spots[i], spots[j]];
    const to = (k, shape, { stock, x, y }) => {
      const place = this.allowed(k, stock, x, y, shape);
      if (place) this.put(k, { stock, x: place[0], y: place[1], shape });
    };
    to(i, one.shape, other);
    to(j, other.shape, one);
  }
  load(placing) {
    const { parts, job } = this;
    this.phases.fill(null);
    for (let i = 0; i < this.n; i++) {
      const turn2 = placing.turned[i];
      const shape = this.ways[i].find((one) => this.turnOf[one] === turn2) ?? this.ways[i][0];
      this.put(i, { stock: placing.stock[i], x: placing.x[i], y: placing.y[i], shape });
      const { match } = parts[i];
      if (match?.group && job.lattice) {
        const { motif } = job.stock[placing.stock[i]];
        this.phases[this.groups.get(match.group)] ??= phaseAt(match, motif, placing.x[i], placing.y[i], job.lattice);
      }
    }
  }
  put(i, spot) {
    const { width, height } = this.shapes[spot.shape];
    this.spots[i] = spot;
    this.X[i] = spot.x;
    this.Y[i] = spot.y;
    this.right[i] = spot.x + width;
    this.top[i] = spot.y + height;
    this.on[i] = spot.stock;
    this.shapeOf[i] = spot.shape;
  }
  /** One sweep over the parts that lie in others, in a random order. Yields how many were moved about, now and then and at the end. */
  *sweep() {
    const { random } = this;
    let moved = 1;
    if (this.members.length > 0 && random.next() < 0.5) moved += this.moveGroup();
    const order = Array.from({ length: this.n }, (_, i) => i).filter((i) => this.overlaps(i));
    for (let k = order.length - 1; k > 0; k--) {
      const other = random.below(k + 1);
      [order[k], order[other]] = [order[other], order[k]];
    }
    for (const i of order) {
      if (!this.overlaps(i)) continue;
      this.move(i);
      if (++moved < AT_ONCE) continue;
      yield moved;
      moved = 0;
    }
    this.reweigh();
    yield moved;
  }
  /** True when no part lies in another or beyond the target. */
  get isFree() {
    return this.best !== null && this.best.depth === 0;
  }
  /** Back to the state with the least overlap, with weights as they are. */
  restore() {
    if (!this.best) return;
    this.best.spots.forEach((spot, i) => this.put(i, spot));
    this.best.phases.forEach((phase, g) => this.phases[g] = phase);
    this.stale = 0;
  }
  /** Where the parts lie, on whole nanometres. */
  asPlacing() {
    const spots = this.spots.slice(0, this.n);
    return {
      stock: Int32Array.from(spots, ({ stock }) => stock),
      x: Float64Array.from(spots, ({ x }) => x),
      y: Float64Array.from(spots, ({ y }) => y),
      turned: Uint8Array.from(spots, ({ shape }) => this.turnOf[shape])
    };
  }
  overlaps(i) {
    const { stock, x, y, shape } = this.spots[i];
    return this.weightOf(i, stock, x, y, shape, FREE2) > FREE2;
  }
  /** Gathers the parts and flaws that reach into a box, but part i itself. */
  gather(i, stock, x0, y0, x1, y1) {
    const { X, Y, right, top, on, near } = this;
    const { gap } = this.job;
    const [low, high, left, far] = [y0 - gap, y1 + gap, x0 - gap, x1 + gap];
    let count = 0;
    for (let j = 0; j < X.length; j++) {
      if (top[j] <= low || Y[j] >= high || right[j] <= left || X[j] >= far) continue;
      if (on[j] === stock && j !== i) near[count++] = j;
    }
    this.nearCount = count;
  }
  /**
   * What part i would weigh at a place among those that were gathered: how deep it lies in each, by their weights; stops
   * above `limit`. The way out of the one it is deepest in is in `push` afterwards.
   */
  weightAmong(i, x, y, shape, limit) {
    const { X, Y, right, top, near, nearCount, weights, clearances, shapeOf, push } = this;
    const { gap } = this.job;
    const { width, height } = this.shapes[shape];
    const [right0, top0, left0, low0] = [x + width + gap, y + height + gap, x - gap, y - gap];
    const row = i * X.length;
    let sum2 = 0;
    let most = 0;
    for (let k = 0; k < nearCount; k++) {
      const j = near[k];
      if (X[j] >= right0 || Y[j] >= top0 || right[j] <= left0 || top[j] <= low0) continue;
      const depth = clearances.depth(shapeOf[j], shape, x - X[j], y - Y[j]);
      if (depth <= FREE2) continue;
      const weight = depth * weights[row + j];
      sum2 += weight;
      if (sum2 > limit) return sum2;
      if (weight <= most) continue;
      most = weight;
      push[0] = clearances.out[0] * (depth + 2);
      push[1] = clearances.out[1] * (depth + 2);
    }
    if (most === 0) push[0] = push[1] = 0;
    return sum2;
  }
  weightOf(i, stock, x, y, shape, limit) {
    const { width, height } = this.shapes[shape];
    this.gather(i, stock, x, y, x + width, y + height);
    return this.weightAmong(i, x, y, shape, limit);
  }
  farOf(stock) {
    return stock === this.endless ? this.target : this.job.stock[stock].length;
  }
  /** The place nearest to (x, y) that the cloth and the pattern allow, null where there is none. */
  allowed(i, stock, x, y, shape) {
    const { left, right, motif } = this.job.stock[stock];
    const { width, height } = this.shapes[shape];
    const [lastX, lastY] = [right - width, this.farOf(stock) - height];
    if (lastX < left || lastY < 0) return null;
    const phase = this.cornerPhase(i);
    const { lattice } = this.job;
    let atX = Math.round(Math.min(lastX, Math.max(left, x)));
    let atY = Math.round(Math.min(lastY, Math.max(0, y)));
    if (!phase || !lattice) return [atX, atY];
    if (lattice.across > 0) {
      const down = wrap(atX - motif[0] - phase[0], lattice.across);
      atX -= down > lattice.across / 2 ? down - lattice.across : down;
      if (atX > lastX) atX -= lattice.across;
      if (atX < left) atX += lattice.across;
      if (atX > lastX) return null;
    }
    if (lattice.along > 0) {
      const up = motif[1] + nextAlong(atX - motif[0], atY - motif[1], phase, lattice);
      atY = up - atY > lattice.along / 2 ? up - lattice.along : up;
      if (atY > lastY) atY -= lattice.along;
      if (atY < 0) atY += lattice.along;
      if (atY > lastY) return null;
    }
    return [atX, atY];
  }
  cornerPhase(i) {
    const { match } = this.parts[i];
    const { lattice } = this.job;
    if (!match || !lattice) return null;
    const [shiftX, shiftY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    if (match.group === null) return phaseOf(shiftX, shiftY, lattice);
    const phase = this.phases[this.groups.get(match.group)];
    return phase ? phaseOf(phase[0] + shiftX, phase[1] + shiftY, lattice) : null;
  }
  anywhere(i) {
    const { random, job, areas } = this;
    for (let tries = 0; tries < 20; tries++) {
      let at = random.next() * this.area;
      let stock = 0;
      while (stock < areas.length - 1 && at >= areas[stock]) at -= areas[stock++];
      const shape = this.ways[i][random.below(this.ways[i].length)];
      const { left, right } = job.stock[stock];
      const { width, height } = this.shapes[shape];
      const x = left + random.next() * (right - left - width);
      const place = this.allowed(i, stock, x, random.next() * (this.farOf(stock) - height), shape);
      if (place) return { stock, x: place[0], y: place[1], shape };
    }
    return null;
  }
  /** A place where a part touches another one, corner to corner or along an edge; null where the cloth allows none. */
  beside(i) {
    const { random, clearances, shapeOf, X, Y, on } = this;
    const j = random.below(X.length);
    const shape = this.ways[i][random.below(this.ways[i].length)];
    const corners = clearances.cornersOf(shapeOf[j], shape);
    if (j === i || corners.length === 0) return null;
    const c = 2 * random.below(corners.length / 2);
    const place = this.allowed(i, on[j], X[j] + corners[c], Y[j] + corners[c + 1], shape);
    return place && { stock: on[j], x: place[0], y: place[1], shape };
  }
  /** Gives a part the best of many places, if it is no worse than where it is. */
  move(i) {
    const { random, tries } = this;
    const now = this.spots[i];
    let best = null;
    let least = Infinity;
    const isBound2 = this.parts[i].match !== null && this.job.lattice !== null;
    const consider = (spot) => {
      if (!spot) return;
      const weight = this.weightOf(i, spot.stock, spot.x, spot.y, spot.shape, least);
      if (weight >= least) return;
      best = spot;
      least = weight;
    };
    for (let k = 0; k < (isBound2 ? BOUND : tries); k++) consider(this.anywhere(i));
    for (let k = 0; k < ABOUT * tries; k++) {
      const shape = random.next() < 0.7 ? now.shape : this.ways[i][random.below(this.ways[i].length)];
      const { width, height } = this.shapes[shape];
      const x = now.x + (random.next() - 0.5) * width;
      const y = now.y + (random.next() - 0.5) * height;
      const place = this.allowed(i, now.stock, x, y, shape);
      if (place) consider({ ...now, shape, x: place[0], y: place[1] });
    }
    for (let k = 0; k < BESIDE * tries; k++) consider(this.beside(i));
    let kept = { spot: now, weight: this.weightOf(i, now.stock, now.x, now.y, now.shape, Infinity) };
    for (const spot of [best, now]) {
      if (!spot) continue;
      const bettered = this.better(i, spot, spot === now ? kept.weight : least);
      if (bettered.weight <= kept.weight) kept = bettered;
    }
    this.put(i, kept.spot);
  }
  /** Betters a place step by step: out of what it is deepest in, or a step aside, the steps growing when they help. */
  better(i, from, goal) {
    const { random, shapes, push } = this;
    const { width, height } = shapes[from.shape];
    let spot = from;
    let weight = Infinity;
    const tryAt = (x, y) => {
      const place = this.allowed(i, spot.stock, x, y, spot.shape);
      if (!place || place[0] === spot.x && place[1] === spot.y) return false;
      if (Math.abs(place[0] - from.x) > reach || Math.abs(place[1] - from.y) > reach) return false;
      const there = this.weightAmong(i, place[0], place[1], spot.shape, weight);
      if (there >= weight * (1 - LEAST_GAIN)) return false;
      spot = { ...spot, x: place[0], y: place[1] };
      weight = there;
      return true;
    };
    let step = Math.min(width, height) / 4;
    const least = Math.min(width, height) / 500;
    const reach = 3 * step;
    this.gather(i, spot.stock, spot.x - reach, spot.y - reach, spot.x + width + reach, spot.y + height + reach);
    weight = this.weightAmong(i, spot.x, spot.y, spot.shape, Infinity);
    let [pushX, pushY] = push;
    for (let tries = 0; tries < TRIES && step > least && weight > FREE2; tries++) {
      if (step < Math.min(width, height) / 20 && weight > 3 * goal) break;
      const axis = random.below(3);
      const [dx, dy] = axis === 0 ? [step, 0] : axis === 1 ? [0, step] : [step, random.next() < 0.5 ? step : -step];
      const isBetter2 = tryAt(spot.x + pushX, spot.y + pushY) || tryAt(spot.x + dx, spot.y + dy) || tryAt(spot.x - dx, spot.y - dy);
      if (isBetter2) [pushX, pushY] = push;
      else [pushX, pushY, step] = [0, 0, step * 0.5];
    }
    return { spot, weight };
  }
  /** Moves a whole match group to another phase when its members then weigh less. Returns about how many moves it took. */
  moveGroup() {
    const { random, members, job } = this;
    const lattice = job.lattice;
    const g = random.below(members.length);
    const some = members[g];
    const before = this.phases[g];
    const old = some.map((i) => this.spots[i]);
    const total = () => some.reduce((sum2, i) => {
      const { stock, x, y, shape } = this.spots[i];
      return sum2 + this.weightOf(i, stock, x, y, shape, Infinity);
    }, 0);
    let best = { weight: total(), phase: before, spots: old };
    for (let tries = 0; tries < PHASES_TRIED; tries++) {
      const near = random.next() < 0.5 ? 0.1 : 1;
      const dx = Math.round((random.next() - 0.5) * near * lattice.across);
      const dy = Math.round((random.next() - 0.5) * near * lattice.along);
      const phase = phaseOf(before[0] + dx, before[1] + dy, lattice);
      this.phases[g] = phase;
      const spots = some.map((i, k) => {
        const place = this.allowed(i, old[k].stock, old[k].x + dx, old[k].y + dy, old[k].shape);
        return place && { ...old[k], x: place[0], y: place[1] };
      });
      if (spots.some((spot) => spot === null)) continue;
      some.forEach((i, k) => this.put(i, spots[k]));
      const weight = total();
      if (weight < best.weight) best = { weight, phase, spots };
    }
    this.phases[g] = best.phase;
    some.forEach((i, k) => this.put(i, best.spots[k]));
    return Math.ceil(some.length * PHASES_TRIED / 80);
  }
  /** What lies in each other weighs more from now on, the rest less; the best state is kept. */
  reweigh() {
    const { spots, X, Y, right, top, on, shapeOf, weights, clearances, n } = this;
    const { gap } = this.job;
    const count = spots.length;
    const pairs = [];
    let [sum2, most] = [0, 0];
    for (let i = 0; i < weights.length; i++) if (weights[i] > 1) weights[i] = Math.max(1, weights[i] * FADING);
    for (let i = 0; i < n; i++) {
      const [right0, top0, left0, low0] = [right[i] + gap, top[i] + gap, X[i] - gap, Y[i] - gap];
      for (let j = i + 1; j < count; j++) {
        if (X[j] >= right0 || Y[j] >= top0 || right[j] <= left0 || top[j] <= low0 || on[i] !== on[j]) continue;
        const depth = clearances.depth(shapeOf[j], shapeOf[i], X[i] - X[j], Y[i] - Y[j]);
        if (depth <= FREE2) continue;
        pairs.push([i, j, depth]);
        sum2 += depth;
        most = Math.max(most, depth);
      }
    }
    for (const [i, j, depth] of pairs) {
      const grown = weights[i * count + j] / FADING * (LEAST_GROWTH + (MOST_GROWTH - LEAST_GROWTH) * depth / most);
      weights[i * count + j] = grown;
      if (j < n) weights[j * count + i] = grown;
    }
    this.stale++;
    if (this.best && sum2 >= this.best.depth) return;
    if (!this.best || sum2 < this.best.depth * 0.98) this.stale = 0;
    this.best = { depth: sum2, spots: spots.slice(), phases: [...this.phases] };
  }
};

// src/core/lay/waiting.ts
var NOISE5 = 0.02;
var AT_ONCE2 = 5e3;
var FULL = 12;
var KEPT = 3;
var MOST_FLAWS = 4;
var WaitingLevel = class extends Level {
  /** By state and kind, the phase that its corner must have; null: it lies where it likes. */
  corners = [];
  /** nm² of the parts laid, those that wait counted for more. */
  worth;
  constructor(width, segments, kinds) {
    super(width, segments, kinds);
    this.worth = new Float64Array(width);
  }
};
var WaitingChildren = class extends Children {
  py;
  constructor(most) {
    super(most);
    this.py = new Float64Array(most);
  }
  move(to, from) {
    super.move(to, from);
    this.py[to] = this.py[from];
  }
};
var WaitingBeam = class {
  /** The parts are those that lie on length number `on`; `phases` are those that their groups have from parts elsewhere. */
  constructor(job, parts, on, phases, random) {
    this.job = job;
    this.parts = parts;
    this.on = on;
    this.random = random;
    const { gap, lattice, stock } = job;
    const { left, right, length, motif, flaws, outline } = stock[on];
    this.lattice = lattice;
    this.left = left;
    this.width = right - left + gap;
    this.motif = motif;
    this.blocked = [...flaws, ...outline ? boxesOutside(outline, left, right, length) : []];
    this.kinds = gatherKinds(job, parts).kinds;
    this.area = this.kinds.reduce((sum2, { ways, members }) => sum2 + members.length * areaOf3(ways[0]), 0);
    this.narrowest = Math.min(...this.kinds.flatMap(({ ways }) => ways.map(({ w }) => w)));
    this.keys = Int32Array.from({ length: this.kinds.length }, () => Math.floor(random.next() * 2 ** 31) | 1);
    this.corners = this.kinds.map(({ fixed, shift, members }) => {
      const phase = phases.get(parts[members[0]].match?.group ?? "");
      return fixed ?? (phase && lattice ? phaseOf(phase[0] - shift[0], phase[1] - shift[1], lattice) : null);
    });
    this.worths = new Float64Array(this.kinds.length);
    this.ways = this.kinds.flatMap(({ ways }, kind) => ways.map((way) => ({ ...way, kind }))).sort((a, b) => a.w - b.w);
    this.now = this.next = this.levelOf(0);
    this.children = new WaitingChildren(0);
  }
  job;
  parts;
  on;
  random;
  kinds;
  lattice;
  left;
  /** The usable width with the gap. */
  width;
  motif;
  /** What nothing may lie on: flaws, and what is outside an odd shape. */
  blocked;
  area;
  narrowest;
  keys;
  corners;
  worths;
  /** All ways of all kinds, the narrowest first. */
  ways;
  now;
  next;
  children;
  /** What ranks lower in this level need not be kept. */
  least = -Infinity;
  height = 0;
  budget = 0;
  pays = 0;
  rough = 0;
  /** The last part may lie anywhere: what counts is how far the lay reaches. */
  isLast = false;
  levelOf(width) {
    const most = Math.min(Math.floor(this.width / this.narrowest), 2 * this.parts.length + 1);
    return new WaitingLevel(width, most + 3, this.kinds.length);
  }
  /**
   * Looks for lays of at most `target` nm. Yields now and then how many places it has looked at; returns the shortest lay of
   * those with the most parts, null when their area alone is too much.
   */
  *run(target, { width, pays, matched, rough, squeaks }) {
    this.height = target + this.job.gap;
    this.budget = this.width * this.height - this.area;
    if (this.budget < 0) return null;
    this.pays = pays * this.budget / this.area;
    this.rough = rough;
    this.kinds.forEach(({ fixed, group, ways, members }, k) => {
      const squeak = squeaks.get(this.parts[members[0]].piece?.id ?? "") ?? 1;
      this.worths[k] = areaOf3(ways[0]) * squeak * (fixed || group >= 0 ? 1 + matched : 1);
    });
    this.now = this.levelOf(width);
    this.next = this.levelOf(width);
    this.children = new WaitingChildren(FULL * width + 2 * this.ways.length + 1);
    this.start();
    for (let level2 = 0; level2 < this.parts.length; level2++) {
      this.children.size = 0;
      this.least = -Infinity;
      this.isLast = level2 === this.parts.length - 1;
      let looked = 0;
      for (let state = 0; state < this.now.size; state++) {
        looked += this.expand(state);
        if (looked > AT_ONCE2) {
          yield looked;
          looked = 0;
        }
        if (this.children.size > FULL * width) this.least = this.children.keepBest(KEPT * width);
      }
      if (this.children.size === 0) break;
      this.goOn(width);
      yield looked;
    }
    const { skylines, size, chains } = this.now;
    let last = 0;
    for (let state = 1; state < size; state++) if (skylines.highest(state) < skylines.highest(last)) last = state;
    const lay = layOf(chains[last], this.kinds, this.parts.length, this.on, 0);
    return { ...lay, reached: skylines.highest(last) - this.job.gap };
  }
  start() {
    const { now, kinds } = this;
    now.start(this.left, this.width, kinds.map(({ members }) => members.length));
    now.corners[0] = this.corners;
    now.worth[0] = 0;
  }
  /** Makes the best children the states of the next level. */
  goOn(width) {
    const { next } = this;
    next.size = growBest(this.children, width, next, (child, to) => this.grow(child, to));
    next.corners.length = next.chains.length = next.size;
    this.next = this.now;
    this.now = next;
  }
  /** All that may be laid into the lowest valley of a state that takes anything; how many places that are. */
  expand(state) {
    const { now } = this;
    const { skylines } = now;
    for (; ; ) {
      const s = skylines.lowest(state);
      const looked = this.fill(state, s);
      if (looked > 0) return looked;
      const i = state * skylines.most + s;
      const level2 = skylines.wallOf(state, s);
      now.waste[state] += skylines.w[i] * (level2 - skylines.y[i]);
      if (now.waste[state] > this.budget) return 0;
      skylines.raise(state, s, level2);
    }
  }
  /** All that may be laid into one valley; how many places that are. */
  fill(state, s) {
    const { lattice, narrowest, rough, children, ways, now } = this;
    const { skylines, counts } = now;
    const corners = now.corners[state];
    const firstCount = state * this.kinds.length;
    const [mx, my] = this.motif;
    const i = state * skylines.most + s;
    const [sx, width, sy] = [skylines.x[i], skylines.w[i], skylines.y[i]];
    const before = s > 0 ? skylines.y[i - 1] : Infinity;
    const after = s < skylines.count[state] - 1 ? skylines.y[i + 1] : Infinity;
    const highest = skylines.highest(state);
    const open = skylines.openBelow(state, highest);
    const [worth, wasted] = [now.worth[state], now.waste[state]];
    const noise = NOISE5 * this.area / this.parts.length;
    let looked = 0;
    for (let k = 0; k < ways.length; k++) {
      const way = ways[k];
      if (way.w > width) break;
      if (counts[firstCount + way.kind] === 0) continue;
      const corner = corners[way.kind];
      let first = sx;
      let last = sx + width - way.w;
      if (corner && lattice && lattice.across > 0) {
        first = nextAcross(sx, corner[0] + mx, lattice);
        if (first > last) continue;
        last = first + Math.floor((last - first) / lattice.across) * lattice.across;
      }
      for (let px = first; ; px = last) {
        const low = corner && lattice ? nextAlong(px, sy, [corner[0] + mx, corner[1] + my], lattice) : sy;
        const py = this.blocked.length === 0 ? low : this.offFlaws(way, px, low, corner ? lattice.along : 0);
        const top = py + way.h;
        const [slit, end] = [px - sx, sx + width - px - way.w];
        const lost = (py - sy) * way.w + (slit < narrowest ? slit * Math.max(0, Math.min(top, before) - sy) : 0) + (end < narrowest ? end * Math.max(0, Math.min(top, after) - sy) : 0);
        const waste = wasted + lost;
        if (top <= this.height && waste <= this.budget) {
          looked++;
          const still = open - lost - way.w * way.h + (top > highest ? (top - highest) * this.width : 0);
          const gain = this.pays * (worth + this.worths[way.kind]) - waste - rough * still;
          const rank = this.isLast ? -Math.max(top, highest) : gain + noise * this.random.next();
          if (rank >= this.least) children.py[children.add(state, s, k, px, rank)] = py;
        }
        if (px === last) break;
      }
    }
    return looked;
  }
  /** The first place at or above `py`, by whole repeats of `along` nm, that is clear of flaws; Infinity for none. */
  offFlaws({ w, h }, px, py, along) {
    const { gap } = this.job;
    let at = py;
    for (let tries = 0; tries < MOST_FLAWS; tries++) {
      const [right, top] = [px + w - gap, at + h - gap];
      const met = this.blocked.find(([x0, y0, x1, y1]) => x0 < right && x1 > px && y0 < top && y1 > at);
      if (!met) return at;
      at = along > 0 ? at + Math.ceil((met[3] - at) / along) * along : met[3];
    }
    return Infinity;
  }
  /** Makes a child a state of the next level. */
  grow(child, to) {
    const { now, next, children } = this;
    const parent = children.parent[child];
    const s = children.segment[child];
    const [px, py] = [children.px[child], children.py[child]];
    const way = this.ways[children.way[child]];
    const { kind } = way;
    const sy = now.skylines.y[parent * now.skylines.most + s];
    const filled = next.skylines.lay(to, now.skylines, parent, s, px, way.w, py + way.h, this.narrowest);
    next.waste[to] = now.waste[parent] + (py - sy) * way.w + filled;
    next.worth[to] = now.worth[parent] + this.worths[kind];
    next.takeOne(to, now, parent, kind);
    next.hash[to] = now.hash[parent] + this.keys[kind];
    next.corners[to] = now.corners[parent];
    next.chains[to] = { parent: now.chains[parent], kind, way, px, py };
    if (this.lattice && this.kinds[kind].group >= 0 && now.corners[parent][kind] === null)
      this.setPhase(to, kind, px, py);
  }
  /** The first member of a group sets its phase for all. */
  setPhase(to, kind, px, py) {
    const { next } = this;
    const lattice = this.lattice;
    const { group, shift } = this.kinds[kind];
    const [x, y] = [px + shift[0] - this.motif[0], py + shift[1] - this.motif[1]];
    const before = next.corners[to];
    next.corners[to] = this.kinds.map(
      (one, k) => one.group === group ? phaseOf(x - one.shift[0], y - one.shift[1], lattice) : before[k]
    );
    const [fx, fy] = phaseOf(x, y, lattice);
    next.hash[to] += Math.imul(Math.round(fx * 7 + fy * 13), this.keys[group]);
  }
};
var areaOf3 = ({ w, h }) => w * h;

// src/core/lay/waits.ts
var PASSES_A_PLACE = 18e-4;
var WAITING = 50;
var LEAST_PAY = 1.5;
var MOST_PAY = 4;
var MATCHED_PAY = 0.6;
var MOST_ROUGH = 0.03;
var SQUEAK = 0.1;
var MOST_SQUEAK = 2;
var SQUEAK_FADING = 0.9;
var MOST_STATES = 1e5;
var EASIER = 1.005;
var FROM_TRIED = 0.5;
function* waits(room) {
  const { job, random } = room;
  const end = endlessOf(job.stock);
  const squeaks = /* @__PURE__ */ new Map();
  let shortest = Infinity;
  for (let go = 0; ; go++) {
    const isOther = job.stock.length > 1 && room.tried.length > 0 && random.next() < FROM_TRIED;
    const from = isOther ? room.tried[random.below(room.tried.length)] : room.best;
    const { numbers, beam } = beamOf(room, from);
    if (numbers.length === 0) {
      yield room.spend(1);
      continue;
    }
    const levels = beam.run(Math.min(room.best.placing.used[end], shortest) - 1, {
      width: Math.min(WAITING * luby(go), Math.ceil(MOST_STATES / numbers.length)),
      pays: LEAST_PAY + (MOST_PAY - LEAST_PAY) * random.next(),
      matched: MATCHED_PAY,
      rough: MOST_ROUGH * random.next() ** 2,
      squeaks
    });
    let next = levels.next();
    for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_PLACE);
    const lay = next.value;
    const isWhole = lay?.placed === numbers.length;
    for (const [id, weight] of squeaks) squeaks.set(id, 1 + (weight - 1) * SQUEAK_FADING);
    numbers.forEach((i, k) => {
      const id = from.parts[i].piece?.id;
      if (lay && lay.stock[k] < 0 && id) squeaks.set(id, Math.min(MOST_SQUEAK, (squeaks.get(id) ?? 1) + SQUEAK));
    });
    yield room.spend(1);
    if (!isWhole) {
      shortest *= EASIER;
      continue;
    }
    const whole = withRest(room, from, numbers, lay);
    shortest = Math.min(shortest, lay.reached);
    room.consider(whole);
    yield* descend(room, whole, Math.round(STEPS_OF_A_TRIAL / from.parts.length));
  }
}
function beamOf({ job, pieces, sets, random }, from) {
  const end = endlessOf(job.stock);
  const isInBeam = [
    ...pieces.map(() => true),
    ...(sets[from.setChoice] ?? []).flatMap((set, s) => blocksOf(set, from.ways[s]).map(() => set.grain === "bias"))
  ];
  const { stock, x, y } = from.placing;
  const numbers = isInBeam.flatMap((is, i) => is && (stock[i] === end || stock[i] < 0) ? [i] : []);
  const phases = /* @__PURE__ */ new Map();
  from.parts.forEach(({ match }, i) => {
    const at = stock[i];
    if (match?.group && job.lattice && at >= 0 && at !== end)
      phases.set(match.group, phaseAt(match, job.stock[at].motif, x[i], y[i], job.lattice));
  });
  const parts = numbers.map((i) => from.parts[i]);
  return { numbers, beam: new WaitingBeam(job, parts, end, phases, random) };
}
function withRest(room, from, numbers, lay) {
  const { job, pieces, sets, random } = room;
  const end = endlessOf(job.stock);
  const { stock, x, y, turned } = from.placing;
  const where = {
    stock: stock.map((at) => at === end ? -1 : at),
    x: x.slice(),
    y: y.slice(),
    turned: turned.slice()
  };
  numbers.forEach((i, k) => {
    where.stock[i] = lay.stock[k];
    where.x[i] = lay.x[k];
    where.y[i] = lay.y[k];
    where.turned[i] = lay.turned[k];
  });
  const ruin = new Ruin(job, pieces, sets[from.setChoice] ?? [], random);
  ruin.load(where, from.ways);
  ruin.layRest((one, other) => other.width * other.height - one.width * one.height);
  return { ...ruin.found(), setChoice: from.setChoice };
}

// src/core/lay/strategies.ts
var NARROW = 64;
var WIDEST = 8192;
var FOR_BEAMS = { least: 48, most: 300 };
var MOST_FOR_AREA = 4;
var FEW_STRAIGHT = 60;
var PASSES_A_STATE = 0.07;
var PASSES_A_RECUT = 0.02;
var PASSES_A_MERGE = 1;
var PASSES_A_MOSAIC = 0.3;
var MOSAIC = 64;
var WIDE_MOSAIC = 256;
var FAR = 0.5;
var MERGES = 50;
var ROW_STEPS_WITHOUT = 1500;
var NEARER_BY_COLUMNS = 0.1;
var FIRST_PRESS = 0.06;
var MOST_PRESS = 0.25;
var LEAST_PRESS = 0.01;
var SWEEPS_WITHOUT = 30;
var STRIKES = 2;
var PASSES_A_MOVE = 0.5;
var MOST_SQUEEZED = 600;
var FIRST_RUINS = 2e3;
var MOST_WAITING = 600;
var FIRST_MOSAICS = 1e3;
var isForBeams = ({ length }) => length >= FOR_BEAMS.least && length <= FOR_BEAMS.most;
function strategiesOf(room) {
  const { job, pieces, limits } = room;
  const { placer, parts } = room.starts[0];
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const strategies = [{ passes: orders(room), share: hasOutlines ? 0.2 : 1 }];
  const isStraight = suitsRows(job, parts) && !hasOutlines;
  const canBeTight = placer.canBeTight && !hasOutlines;
  const isExact = (canBeTight || isStraight) && canFillExactly(job, parts, limits.target);
  const isMatched = pieces.some(({ match }) => match);
  const isSecond = limits.lane % 2 === 1;
  const forBeams = isExact && !isMatched && isForBeams(parts);
  if (canBeTight) {
    const share = !isExact ? 0.2 : isMatched || isSecond || forBeams || parts.length <= FEW ? 12 : 1;
    if (forBeams || isExact && isMatched) strategies[0].share = 0.1;
    strategies.push({ passes: beams(room), share });
  }
  if (isStraight && parts.length <= FEW_STRAIGHT) strategies.push({ passes: beams(room), share: 8 });
  const forRuins = hasOutlines ? 2 : !isExact ? 25 : isMatched ? 0.2 : forBeams ? 2 : 4;
  const endless = endlessOf(job.stock) >= 0;
  const mayWait = (!isExact || isMatched) && !hasOutlines && !job.straight;
  const forWaits = mayWait && endless && parts.length <= MOST_WAITING;
  const ahead = forWaits && job.stock.length > 1 ? FIRST_RUINS : 0;
  if (!job.straight) strategies.push({ passes: ruins(room), share: forRuins, ahead });
  if (forWaits) strategies.push({ passes: waits(room), share: isExact ? 3 : isMatched ? 25 : 10 });
  const isSmall = hasOutlines && parts.length <= MOST_SQUEEZED;
  if (isSmall && !job.straight && endless) strategies.push({ passes: squeezes(room), share: 50 });
  if (isSmall && suitsMosaic(job, parts)) strategies.push({ passes: mosaics(room), share: 800, ahead: FIRST_MOSAICS });
  if (suitsRows(job, parts)) {
    strategies.push({ passes: piles(room), share: 3 }, { passes: recuts(room), share: 3 });
  }
  return strategies;
}
function* beams(room) {
  const { job, random, limits } = room;
  const base = room.starts[0];
  const { parts } = base;
  const ruin = new Ruin(job, room.pieces, room.sets[base.setChoice] ?? [], random);
  const jigsaw = new Jigsaw(job, parts, random, room.best.placing.used[0]);
  const isExact = canFillExactly(job, parts, limits.target);
  const countsArea = !room.pieces.some(({ match }) => match) && !job.straight && isForBeams(parts);
  const comesNearer = job.straight || countsArea;
  const narrow = parts.length <= FEW || comesNearer ? NARROW : 4 * NARROW;
  let share = 0.5;
  const turns = room.pieces.some(({ match }) => match) ? 2 : 1;
  const widens = isExact && turns === 2 && !jigsaw.canForce;
  for (let count = 0; ; count++) {
    const go = widens ? count : Math.floor(count / turns);
    const isFlipped = (count + limits.lane) % turns === 1;
    const growth = widens ? count < 1 ? 1 : 2 ** (count + 1) : luby(Math.floor(go / 4) * 3 + go % 4);
    const width = Math.min(WIDEST, narrow * growth);
    const atBound = isExact && !countsArea && (widens || go % 4 < 3);
    const used = room.best.placing.used[0];
    const q = comesNearer ? share : 0.3 + 0.6 * random.next();
    const target = atBound ? limits.target : Math.round(limits.target + (used - limits.target) * q);
    if (target < used) {
      const largeFirst = countsArea && go % 2 === 1 ? MOST_FOR_AREA ** random.next() : 1;
      const levels = jigsaw.run(target, width, go % 2 === 0, largeFirst, isFlipped);
      let next = levels.next();
      for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_STATE);
      const whole = next.value.find(({ placed }) => placed === parts.length);
      if (!atBound) share = whole ? 0.5 : Math.min(0.95, share + 0.15);
      if (job.straight) {
        if (whole) room.consider({ ...base, placing: base.placer.asPlacing(whole.x, whole.y, whole.turned) });
        yield room.spend(1);
        continue;
      }
      for (const lay of next.value) {
        ruin.load(lay, base.ways);
        ruin.layRest((one, other) => other.width * other.height - one.width * one.height);
        room.consider({ ...ruin.found(), setChoice: base.setChoice });
        yield room.spend(1);
      }
    }
    yield room.spend(1);
  }
}
function* mosaics(room) {
  const { job, random, limits } = room;
  const { parts } = room.starts[0];
  const mosaic = new Mosaic(job, parts, room.shapesOf(room.starts[0]), random);
  const { left, right } = job.stock[0];
  const target = Math.round(mosaic.area / (right - left));
  const { orders: orders2 } = mosaic;
  const half = orders2.length / 2;
  for (let go = 0; mosaic.canEndAt(target); go++) {
    const width = go < half ? MOSAIC : Math.min(WIDEST, WIDE_MOSAIC * 2 ** (Math.floor(go / half) - 1));
    const levels = mosaic.run(target, width, orders2[(go + limits.lane * half) % orders2.length]);
    let next = levels.next();
    for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_MOSAIC);
    if (next.value) room.consider({ ...room.starts[0], placing: measured(job, parts, next.value) });
    if (go === 1 && mosaic.reached < FAR * parts.length) break;
    yield room.spend(1);
  }
}
function* squeezes(room) {
  const { job, random, limits } = room;
  const endless = endlessOf(job.stock);
  const finite = job.stock.reduce((sum2, { length }) => sum2 + (length === Infinity ? 0 : length), 0);
  const floor = Math.max(0, limits.target - finite);
  let squeeze = null;
  let pressed = [];
  let share = FIRST_PRESS;
  let isStuck = false;
  for (let isFresh = true; ; ) {
    const from = room.best;
    if (from.placing.stock.some((at) => at < 0)) {
      yield room.spend(1);
      continue;
    }
    const shapes = room.shapesOf(from);
    if (!squeeze || squeeze.from !== shapes) squeeze = new Squeeze(job, from.parts, shapes, random);
    if (pressed !== from.parts) isFresh = true;
    pressed = from.parts;
    const used = from.placing.used[endless];
    const target = Math.round(used - Math.max(1, (used - floor) * share));
    squeeze.press(isFresh ? from.placing : null, target);
    if (isStuck) squeeze.disrupt();
    let strikes = 0;
    while (!squeeze.isFree && strikes < STRIKES && room.best.placing.used[endless] > target) {
      for (const moved of squeeze.sweep()) yield room.spend(moved * PASSES_A_MOVE);
      if (squeeze.stale < SWEEPS_WITHOUT) continue;
      squeeze.restore();
      strikes++;
    }
    if (squeeze.isFree) {
      room.consider({ ...from, placing: measured(job, from.parts, squeeze.asPlacing()) });
      yield room.spend(PASSES_A_MOVE);
    }
    const failed = strikes >= STRIKES;
    isFresh = !failed || share < LEAST_PRESS;
    isStuck = failed && isFresh;
    share = !failed ? Math.min(MOST_PRESS, share * 1.2) : isFresh ? FIRST_PRESS / 2 : share * 0.6;
  }
}
function* piles(room) {
  const { job, random, starts, limits } = room;
  const { left, right } = job.stock[0];
  for (let round = 0; ; round++) {
    const base = round % 4 < 2 ? room.bestOrder : starts[round % starts.length];
    const { parts, placer } = base;
    const n = parts.length;
    const isColumns = round % 2 === 1;
    const best = room.best.placing.used[0];
    const length = Math.round(best - Math.max(1, (best - limits.target) * NEARER_BY_COLUMNS));
    const rows = isColumns ? new Rows(
      job,
      parts.map((part) => ({ ...part, width: part.height, height: part.width })),
      random,
      length
    ) : new Rows(job, parts, random, right - left);
    const isBetter2 = () => isColumns ? rows.used <= right - left : rows.used <= room.best.placing.used[0];
    const tell = () => {
      if (!rows.isWhole || !isBetter2()) return false;
      const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
      if (isColumns) rows.unfold(y, x, turned);
      else rows.unfold(x, y, turned);
      for (let i = 0; i < n; i++) x[i] += left;
      room.consider({ ...base, placing: placer.asPlacing(x, y, turned) });
      return true;
    };
    tell();
    if (!isColumns && n <= FEW && canFillExactly(job, parts, limits.target)) {
      const merges = new Merges(job, parts, random);
      const levels = merges.run(limits.target, MERGES * luby(round / 2 + 1));
      let next = levels.next();
      for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_MERGE);
      for (const full of next.value) {
        rows.restart(full);
        tell();
        yield room.spend(1);
      }
    }
    let shortest = rows.used;
    for (let stale = 0; stale < ROW_STEPS_WITHOUT; stale++) {
      if (rows.tryStep() && rows.used < shortest) {
        shortest = rows.used;
        stale = 0;
        if (tell() && isColumns) break;
      }
      yield room.spend(1);
    }
  }
}
function* recuts(room) {
  const { job, random, limits } = room;
  for (; ; ) {
    const from = room.best;
    const n = from.parts.length;
    const recut2 = new Recut(job, from.parts, random);
    let best = from.placing.used[0];
    recut2.load(from.placing, best);
    const aim = () => recut2.aim(Math.round(best - Math.max(1, (best - limits.target) * NEARER)));
    aim();
    for (let stale = 0; stale < STEPS_WITHOUT; stale += STEPS) {
      if (room.best.placing.used[0] < best) break;
      for (let step = 0; step < STEPS; step++) {
        if (!recut2.tryStep() || !recut2.isWhole) continue;
        const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
        recut2.unfold(x, y, turned);
        room.consider({ ...from, placing: measured(job, from.parts, { stock: new Int32Array(n), x, y, turned }) });
        best = recut2.used;
        stale = 0;
        aim();
      }
      yield room.spend(STEPS * PASSES_A_RECUT);
    }
  }
}

// src/core/lay/search.ts
var PRAISE = 3;
var FADING2 = 0.98;
var HEAR_EVERY = 50;
function search(job, pieces, sets, limits) {
  const room = new Room(job, pieces, sets, limits);
  if (!tryOrders(room)) return room.passes;
  if (!tryWays(room)) return room.passes;
  if (limits.lane === 0 && !canFillExactly(job, room.starts[0].parts, limits.target)) limits.target = limits.sharpen();
  const strategies = strategiesOf(room);
  const spent = strategies.map(({ ahead = 0 }, i) => (i === limits.lane % strategies.length ? -1e-9 : 0) - ahead);
  const praise = strategies.map(() => 1);
  for (let turns = 0; !room.isOver(); turns++) {
    if (turns % HEAR_EVERY === 0) room.hear();
    const turn2 = (i) => spent[i] / (strategies[i].share * praise[i]);
    let next = 0;
    for (let i = 1; i < strategies.length; i++) if (turn2(i) < turn2(next)) next = i;
    const before = room.best.placing.cost;
    const { value, done } = strategies[next].passes.next();
    spent[next] += done ? Infinity : value;
    for (let i = 0; i < praise.length; i++) praise[i] = 1 + (praise[i] - 1) * FADING2;
    if (room.best.placing.cost < before) praise[next] = PRAISE;
  }
  return room.passes;
}
function tryOrders(room) {
  const { job, starts, sets } = room;
  const ways = (setChoice) => (sets[setChoice] ?? []).map(() => 0);
  const choices = Array.from({ length: Math.max(1, sets.length) }, (_, setChoice) => ({
    setChoice,
    ways: ways(setChoice),
    ...room.assemble(setChoice, ways(setChoice))
  }));
  const { rules } = choices[0].placer;
  const isSlow = rules[0] !== "fit" && !job.straight;
  let best = { order: 0, cost: Infinity };
  for (const [c, choice] of choices.entries()) {
    for (const rule of rules) {
      for (const [o, order] of sortedOrders(choice.parts).entries()) {
        if (isSlow && (c > 0 || rule !== rules[0]) && o !== best.order) continue;
        const start = room.run({ ...choice, order, rule, phases: [] }, Infinity);
        if (start.placing.cost < best.cost) best = { order: o, cost: start.placing.cost };
        starts.push(start);
        if (room.isOver()) return false;
      }
    }
  }
  starts.sort((a, b) => a.placing.cost - b.placing.cost);
  return true;
}
function tryWays(room) {
  let now = room.starts[0];
  const sets = room.sets[now.setChoice] ?? [];
  for (let set = 0; set < sets.length; set++) {
    for (let way = 1; way < sets[set].ways.length; way++) {
      const ways = now.ways.map((one, i) => i === set ? way : one);
      const made = room.assemble(now.setChoice, ways);
      const [order] = sortedOrders(made.parts);
      const next = room.run({ ...now, ways, ...made, order }, Infinity);
      if (next.placing.cost < now.placing.cost) now = next;
      if (room.isOver()) return false;
    }
  }
  if (now !== room.starts[0]) room.starts.unshift(now);
  return true;
}

// src/core/lay/nest.ts
var STEPS_WITHOUT_CLOCK = 2e3;
var PROGRESS_EVERY_MS = 100;
function nest(job, options = {}) {
  if (job.locked.length === 0) return ok(laid(job, options));
  const plan = laidRound(job, options);
  refuseFaulty(findFaults(job, plan));
  return ok(plan);
}
function refuseFaulty([fault]) {
  if (fault) throw new Error(`The lay engine made an invalid plan: ${fault.what}`);
}
var KEPT2 = 8;
function laidRound(job, options) {
  const { onBetter } = options;
  const whole = (rest) => withLocked(job, rest);
  const plan = whole(laid(withoutLocked(job), { ...options, ...onBetter && { onBetter: (rest) => onBetter(whole(rest)) } }));
  return { ...plan, bound: Math.min(plan.used, Math.max(plan.bound, lowerBound(job, placedOn(plan.lays)))) };
}
function laid(job, options) {
  const start = options.clock?.() ?? 0;
  const { pieces, unplaced } = sortOut(job);
  const fitting = new Map(job.pieces.map(({ id }) => [id, 0]));
  for (const { piece } of pieces) fitting.set(piece.id, fitting.get(piece.id) + 1);
  const placeable = {
    pieces: fitting,
    strips: new Map(job.strips.map(({ id, qty }) => [id, qty]))
  };
  let bound = lowerBound(job, placeable);
  const { sets, impossible } = stripSets(job, bound);
  for (const { want, why } of impossible) {
    unplaced.push({ strip: want.strip, copy: want.copy, why });
    placeable.strips.set(want.strip, placeable.strips.get(want.strip) - 1);
  }
  if (impossible.length > 0) bound = lowerBound(job, placeable);
  const better = [];
  let passes = 0;
  const boundOf = (placed) => isSame(placed, placeable) ? bound : lowerBound(job, placed);
  const planOf = (found) => toPlan(job, found, unplaced, boundOf);
  if (pieces.length + sets.flat().length > 0) {
    const limits = limitsOf(job, options, start, () => ({ best: better.at(-1) ?? null, bound }), planOf);
    passes = search(job, pieces, sets, {
      ...limits,
      target: bound,
      sharpen: () => bound = Math.max(
        bound,
        barBound(job, placeable, bound, () => limits.isOver(0))
      ),
      onBetter: (found) => {
        if (better.length > KEPT2) better.splice(1, 1);
        better.push(found);
      }
    });
  }
  for (let refused = 0; ; refused++) {
    const plan = { ...planOf(better.pop() ?? null), passes, refused };
    const faults = findFaults(job, plan);
    if (faults.length === 0) return plan;
    if (better.length === 0) refuseFaulty(faults);
  }
}
function limitsOf(job, options, start, known, planOf) {
  const { clock, isCancelled, onProgress, onBetter } = options;
  const seconds = options.seconds ?? job.search.seconds;
  const steps = options.steps ?? (clock ? Infinity : STEPS_WITHOUT_CLOCK);
  let told = start;
  let drawn = null;
  let bestPlan = null;
  return {
    seed: options.seed ?? job.search.seed,
    lane: options.lane ?? 0,
    ...options.peers && { peers: options.peers },
    isOver: (passes) => {
      if (passes >= steps || isCancelled?.(passes)) return true;
      if (!clock) return false;
      const now = clock();
      if ((onProgress || onBetter) && now - told >= PROGRESS_EVERY_MS) {
        told = now;
        const { best, bound } = known();
        const done = Math.min(1, Math.max((now - start) / 1e3 / seconds, passes / steps));
        const isBetter2 = best !== null && best !== drawn;
        if (isBetter2) bestPlan = planOf(best);
        const { used = 0, unplaced = [] } = bestPlan ?? {};
        const proven = bestPlan && best.placing.stock.some((at) => at < 0) ? bestPlan.bound : Math.min(bound, used || bound);
        onProgress?.({ done, used, unplaced, bound: proven, ...isBetter2 && { sketch: sketchOf(job, best) } });
        if (isBetter2) onBetter?.({ ...bestPlan, passes, refused: 0 });
        drawn = best;
      }
      return now - start >= seconds * 1e3;
    }
  };
}
function sketchOf(job, { parts, placing }) {
  const lefts = job.stock.map(({ left: left2 }) => left2);
  const [left, right] = [Math.min(...lefts), Math.max(...job.stock.map((stock) => stock.right))];
  const starts = placing.used.map((_, k) => placing.used.slice(0, k).reduce((sum2, one) => sum2 + one, 0));
  const rings = parts.flatMap((part, i) => {
    if (placing.stock[i] < 0) return [];
    const turn2 = 90 * placing.turned[i];
    const box = [[0, 0], [part.width, 0], [part.width, part.height], [0, part.height]];
    const cuts = part.block?.cuts.map(({ outline }) => outline) ?? [turnOutline(part.outlines?.ring ?? box, turn2)];
    const [x, y] = [placing.x[i] - left, placing.y[i] + starts[placing.stock[i]]];
    return cuts.map((ring) => ({
      isStrip: part.block !== void 0,
      ring: ring.map(([dx, dy]) => [x + dx, y + dy])
    }));
  });
  return { width: right - left, rings };
}
function sortOut(job) {
  const unplaced = [];
  const missed = new Map(job.pieces.map((piece) => [piece.id, whyNoPlace(job, piece)]));
  const pieces = pieceParts(job).filter(({ piece, width, height, turns }) => {
    const ways = turns.map((turn2) => turn2 === 0 ? [width, height] : [height, width]);
    const wide = job.stock.filter(({ left, right }) => ways.some(([w]) => w <= right - left));
    const fits = wide.some(({ left, right, length }) => ways.some(([w, h]) => w <= right - left && h <= length));
    const why = fits ? missed.get(piece.id) : wide.length === 0 ? "no stock length is wide enough" : "no stock length is long enough";
    if (why) unplaced.push({ ...pieceName(piece), why });
    return !why;
  });
  return { pieces, unplaced };
}
function whyNoPlace({ stock, lattice, units }, { width, height, match }) {
  if (!lattice || !match || match.group !== null) return null;
  let least = Infinity;
  for (const { left, right, length, motif } of stock) {
    if (width > right - left || height > length) continue;
    const [phaseX, phaseY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    const phase = phaseOf(phaseX, phaseY, lattice);
    const miss = missAcross({ from: left, to: right - width, phase: motif[0] + phase[0] }, lattice);
    if (miss > 0) {
      least = Math.min(least, miss);
      continue;
    }
    for (let x = nextAcross(left - motif[0], phase[0], lattice); x + motif[0] + width <= right; x += lattice.across) {
      const over = motif[1] + nextAlong(x, -motif[1], phase, lattice) + height - length;
      if (over <= 0) return null;
      least = Math.min(least, over);
      if (lattice.across === 0 || lattice.shift === 0) break;
    }
  }
  if (least === Infinity) return null;
  const by = `${Number(toUnits(least, units).toPrecision(3))} ${units}`;
  return `where the pattern is right for it, it would reach ${by} past the edge of the cloth`;
}
var pieceName = ({ id, copy }) => ({ piece: id, copy });
var isSame = (one, other) => ["pieces", "strips"].every((of) => [...other[of]].every(([id, qty]) => (one[of].get(id) ?? 0) === qty));
function toPlan(job, best, unplaced, bound) {
  const lays = job.stock.map(({ id }) => ({ stock: id, used: 0, placed: [], cuts: [] }));
  const failed = [...unplaced];
  const short = /* @__PURE__ */ new Set();
  best?.parts.forEach((part, i) => {
    if (best.placing.stock[i] >= 0) return;
    if (part.piece) failed.push({ ...pieceName(part.piece), why: whyLeft(job, part) });
    else for (const cut of part.block.cuts) short.add(keyOf(cut));
  });
  best?.parts.forEach((part, i) => {
    const lay = lays[best.placing.stock[i]];
    if (!lay) return;
    const [x, y] = [best.placing.x[i], best.placing.y[i]];
    if (part.piece) {
      lay.placed.push({ ...pieceName(part.piece), x, y, turn: 90 * best.placing.turned[i] });
      lay.used = Math.max(lay.used, y + (best.placing.turned[i] % 2 === 1 ? part.width : part.height));
      return;
    }
    for (const cut of part.block.cuts) {
      if (short.has(keyOf(cut))) continue;
      const outline = cut.outline.map(([cx, cy]) => [x + cx, y + cy]);
      lay.cuts.push({ ...cut, outline });
      for (const [, cy] of outline) lay.used = Math.max(lay.used, cy);
    }
  });
  for (const key of short) {
    const [strip, copy] = JSON.parse(key);
    failed.push({ strip, copy, why: "no stock length has room left for all of its cuts" });
  }
  const placed = placedOn(lays);
  const used = lays.reduce((sum2, lay) => sum2 + lay.used, 0);
  return {
    lays: lays.filter(({ placed: p, cuts }) => p.length + cuts.length > 0),
    unplaced: failed,
    used,
    endless: lays.find(({ stock }) => job.stock.some(({ id, length }) => id === stock && length === Infinity))?.used ?? 0,
    bound: Math.min(bound(placed), used)
  };
}
var whyLeft = ({ stock }, { match }) => match?.group && endlessOf(stock) >= 0 ? `on no place of the pattern can it lie together with the others of its set ${JSON.stringify(match.group)}` : "no stock length has room left for it";
function placedOn(lays) {
  const placed = { pieces: /* @__PURE__ */ new Map(), strips: /* @__PURE__ */ new Map() };
  for (const { piece } of lays.flatMap((lay) => lay.placed))
    placed.pieces.set(piece, (placed.pieces.get(piece) ?? 0) + 1);
  for (const key of new Set(lays.flatMap(({ cuts }) => cuts.map(keyOf)))) {
    const [strip] = JSON.parse(key);
    placed.strips.set(strip, (placed.strips.get(strip) ?? 0) + 1);
  }
  return placed;
}
var keyOf = ({ strip, copy }) => JSON.stringify([strip, copy]);

// src/core/lay/lanes.ts
function isBetter(one, other) {
  if (one.unplaced.length !== other.unplaced.length) return one.unplaced.length < other.unplaced.length;
  if (one.endless !== other.endless) return one.endless < other.endless;
  return one.used !== other.used ? one.used < other.used : one.passes < other.passes;
}
var isAtBound = ({ unplaced, used, bound }) => unplaced.length === 0 && used <= bound;
function bestOf(plans) {
  const best = plans.reduce((one, other) => isBetter(other, one) ? other : one);
  const leftOut = ({ unplaced }) => JSON.stringify(unplaced);
  const bounds = plans.filter((plan) => leftOut(plan) === leftOut(best)).map(({ bound }) => bound);
  return { ...best, bound: Math.min(best.used, Math.max(...bounds)) };
}

// src/core/files/lay-json.ts
var DEEPEST = 64;
function parseJson(text) {
  if (text.length > MOST_BYTES) return refuse("json-large", "file", `the file has more than ${MOST_BYTES / 1e6} MB`);
  if (depthOf(text) > DEEPEST)
    return refuse("json-deep", "file", `the file is nested more than ${DEEPEST} levels deep`);
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch (error) {
    return refuse("json", "file", `the file is not JSON: ${error.message.replace(/\s+/g, " ")}`);
  }
}
function depthOf(text) {
  let deepest = 0;
  let depth = 0;
  let inText = false;
  for (let i = 0; i < text.length; i++) {
    const sign = text[i];
    if (inText) {
      if (sign === "\\") i++;
      else if (sign === '"') inText = false;
    } else if (sign === '"') inText = true;
    else if (sign === "{" || sign === "[") deepest = Math.max(deepest, ++depth);
    else if (sign === "}" || sign === "]") depth--;
  }
  return deepest;
}
function parseLayJob(text) {
  const json = parseJson(text);
  return json.ok ? readJob(json.value) : json;
}

// src/work/pool.ts
import { randomUUID } from "node:crypto";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import { MessageChannel } from "node:worker_threads";
import Piscina from "piscina";
var held = globalThis;
var home = () => process.env.JOLLY_BOLT_HOME ?? process.cwd();
var GRACE_MS = 5e3;
var STALE_MS = 1500;
var STALE_SHARE = 0.5;
var pool = () => held.jollyBoltPool ??= new Piscina({
  filename: join(
    /*turbopackIgnore: true*/
    home(),
    "dist",
    "lay-worker.mjs"
  ),
  minThreads: 0,
  maxThreads: Math.max(1, availableParallelism()),
  idleTimeout: 3e4
});
var SearchEnded = class extends Error {
  constructor() {
    super(
      "The search did not answer in time and was ended. Make the lays again; if that happens once more, lay fewer lines at a time."
    );
  }
};
var Cancel = class {
  searches = /* @__PURE__ */ new Set();
  isRequested = false;
  /** True once the request has been made. */
  get isOn() {
    return this.isRequested;
  }
  request() {
    if (this.isRequested) return;
    this.isRequested = true;
    for (const { memory, onRequest } of this.searches) {
      endSearch(memory);
      onRequest();
    }
  }
  /** Shared memory of one search: it is told of the request, and `onRequest` is called, until it is released. */
  hold(onRequest) {
    const search2 = { memory: new SharedArrayBuffer(8), onRequest };
    this.searches.add(search2);
    if (this.isRequested) {
      endSearch(search2.memory);
      onRequest();
    }
    return { memory: search2.memory, release: () => this.searches.delete(search2) };
  }
};
var endSearch = (memory) => Atomics.store(new Int32Array(memory), 0, 1);
async function layOnAllCores(task, cancel, { onProgress, endsStale } = {}) {
  const count = Math.max(1, availableParallelism());
  const channel = task.steps === void 0 && count > 1 ? randomUUID() : void 0;
  const lanes = Array.from({ length: count }, (_, i) => new Lane({ ...task, ...channel && { channel } }, i, cancel));
  const best = new BestProgress();
  const start = performance.now();
  let betterAt = start;
  const tell = (progress) => {
    const now = performance.now();
    if (best.take(progress)) betterAt = now;
    if (endsStale && now - betterAt > Math.max(STALE_MS, STALE_SHARE * (now - start)))
      lanes.forEach((lane) => lane.end());
    onProgress?.(best.told(progress));
  };
  const ended = await Promise.allSettled(
    lanes.map(async (lane, i) => {
      const plan = await lane.run(tell);
      if (isAtBound(plan))
        lanes.forEach((other, k) => k !== i && other.limit(Math.ceil(plan.passes) + (k < i ? 1 : 0)));
      return plan;
    })
  );
  const plans = ended.flatMap((one) => one.status === "fulfilled" ? [one.value] : []);
  if (plans.length > 0) return bestOf(plans);
  throw ended[0].reason;
}
var BestProgress = class {
  best = null;
  bound = 0;
  isNew = false;
  /** Takes what a lane tells; true when it is better than all before. */
  take(progress) {
    const { best } = this;
    if (progress.used > 0 && progress.unplaced.length === (best?.unplaced.length ?? 0)) this.bound = Math.max(this.bound, progress.bound);
    this.isNew = progress.used > 0 && (!best || progress.unplaced.length < best.unplaced.length || progress.unplaced.length === best.unplaced.length && progress.used < best.used);
    if (!this.isNew) return false;
    if (best && progress.unplaced.length < best.unplaced.length) this.bound = progress.bound;
    this.best = progress;
    return true;
  }
  /** What to tell of it now, as far along as `progress` is. */
  told({ done, sketch, ...rest }) {
    const { used, unplaced } = this.best ?? rest;
    return { done, used, unplaced, bound: Math.min(used || Infinity, Math.max(this.bound, this.best ? 0 : rest.bound)), ...this.isNew && sketch && { sketch } };
  }
};
var Lane = class {
  constructor(task, number2, cancel) {
    this.task = task;
    this.number = number2;
    const { memory, release } = cancel.hold(() => this.killIn(GRACE_MS));
    this.memory = memory;
    this.release = release;
  }
  task;
  number;
  killer = new AbortController();
  memory;
  release;
  timer;
  /** Ends the search at its best lay so far. */
  end() {
    endSearch(this.memory);
  }
  /** Lets it take no more passes than that. */
  limit(passes) {
    const flags = new Int32Array(this.memory);
    const now = Atomics.load(flags, 1);
    if (now === 0 || passes < now) Atomics.store(flags, 1, passes);
  }
  killIn(ms) {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.killer.abort(), ms);
  }
  async run(onProgress) {
    const { port1, port2 } = new MessageChannel();
    let isOn = false;
    port1.on("message", (progress) => {
      if (!isOn) this.killIn(1e3 * this.task.seconds + GRACE_MS);
      isOn = true;
      if (progress) onProgress?.(progress);
    });
    try {
      const { task, number: lane, memory: cancel } = this;
      return await pool().run({ ...task, lane, cancel, port: port2 }, {
        transferList: [port2],
        signal: this.killer.signal
      });
    } catch (error) {
      throw this.killer.signal.aborted ? new SearchEnded() : error;
    } finally {
      clearTimeout(this.timer);
      this.release();
      port1.close();
    }
  }
};
async function closePool() {
  await held.jollyBoltPool?.destroy();
  held.jollyBoltPool = void 0;
}

// src/cli/command.ts
import { readFileSync, writeFileSync } from "node:fs";
var Refusal2 = class extends Error {
};
var OWN_FAULT = 70;
async function runCommand(usage, body) {
  const args = process.argv.slice(2);
  if (args.includes("--help") || args.includes("-h")) {
    writeFileSync(1, `${usage}
`);
    return;
  }
  try {
    const { text, out } = await body(args);
    if (out === void 0) writeFileSync(1, text);
    else writeFile(out, text);
  } catch (error) {
    const isRefused = error instanceof Refusal2 || error instanceof SearchEnded;
    const message = error.message.replace(/\s+/g, " ");
    process.stderr.write(
      isRefused ? `${message}
` : `This is a fault of the program, not of what you gave it: ${message}
`
    );
    process.exitCode = isRefused ? 2 : OWN_FAULT;
  }
}
function readText(file) {
  try {
    return readFileSync(file === "-" ? 0 : file, "utf8");
  } catch (error) {
    throw new Refusal2(`${file}: ${sentenceFor(error)}`);
  }
}
function writeFile(file, text) {
  try {
    writeFileSync(file, text);
  } catch (error) {
    throw new Refusal2(`${file}: ${sentenceFor(error)}`);
  }
}
var SENTENCES = {
  ENOENT: "there is no such file or folder",
  EACCES: "this account may not open it",
  EPERM: "this account may not open it",
  EISDIR: "this is a folder, not a file",
  ENOSPC: "the disk is full",
  EROFS: "it lies on a disk that can\u2019t be written"
};
var sentenceFor = (error) => SENTENCES[error.code ?? ""] ?? `it can\u2019t be opened (${error.message})`;

// src/cli/nest.ts
var LEAST_SECONDS = 0.5;
var USAGE = "usage: nest JOB.json [--out PLAN.json] [--seconds S] [--seed N] [--steps N]; JOB.json may be - for standard input";
await runCommand(USAGE, async (args) => {
  const { values, positionals } = parse(args);
  if (positionals.length !== 1) throw new Refusal2(USAGE);
  const options = readOptions(values);
  const text = readText(positionals[0]);
  const job = parseLayJob(text);
  if (!job.ok) throw new Refusal2(job.faults[0].message);
  const seconds = options.seconds ?? job.value.search.seconds;
  const plan = options.steps === void 0 && seconds >= LEAST_SECONDS ? await onAllCores(text, seconds, options.seed ?? job.value.search.seed) : onOneCore(job.value, options);
  return { text: `${JSON.stringify(planToJson(plan, job.value.units), null, 1)}
`, out: values.out };
});
function onOneCore(job, options) {
  const plan = nest(job, { ...options, clock: () => performance2.now() });
  if (!plan.ok) throw new Refusal2(plan.faults[0].message);
  return plan.value;
}
async function onAllCores(text, seconds, seed) {
  try {
    return await layOnAllCores({ json: JSON.parse(text), seconds, seed }, new Cancel());
  } finally {
    await closePool();
  }
}
function parse(args) {
  try {
    const string = { type: "string" };
    return parseArgs({
      args,
      allowPositionals: true,
      options: { out: string, seconds: string, seed: string, steps: string }
    });
  } catch (error) {
    throw new Refusal2(`${error.message.split(". ")[0]}; ${USAGE}`);
  }
}
function readOptions(values) {
  const read = (name2, wanted, isFine) => {
    const text = values[name2];
    if (text === void 0) return {};
    if (text.trim() === "" || !isFine(Number(text))) throw new Refusal2(`--${name2}: ${text} is not ${wanted}`);
    return { [name2]: Number(text) };
  };
  return {
    ...read("seconds", "a time of 0 to 86400 s", (value) => value >= 0 && value <= 86400),
    ...read("seed", "a whole number", Number.isSafeInteger),
    ...read("steps", "a whole number from 1", (value) => Number.isSafeInteger(value) && value > 0)
  };
}

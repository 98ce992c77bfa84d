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
      var ClipperLib4 = {};
      ClipperLib4.version = "6.4.2.2";
      ClipperLib4.use_lines = true;
      ClipperLib4.use_xyz = false;
      var isNode = false;
      if (typeof module !== "undefined" && module.exports) {
        module.exports = ClipperLib4;
        isNode = true;
      } else {
        if (typeof define === "function" && define.amd) {
          define(ClipperLib4);
        }
        if (typeof document !== "undefined") window.ClipperLib = ClipperLib4;
        else self["ClipperLib"] = ClipperLib4;
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
      ClipperLib4.biginteger_used = null;
      var dbits;
      var canary = 244837814094590;
      var j_lm = (canary & 16777215) == 15715070;
      function BigInteger(a, b, c) {
        ClipperLib4.biginteger_used = 1;
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
      ClipperLib4.Path = function() {
        return [];
      };
      ClipperLib4.Path.prototype.push = Array.prototype.push;
      ClipperLib4.Paths = function() {
        return [];
      };
      ClipperLib4.Paths.prototype.push = Array.prototype.push;
      ClipperLib4.DoublePoint = function() {
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
      ClipperLib4.DoublePoint0 = function() {
        this.X = 0;
        this.Y = 0;
      };
      ClipperLib4.DoublePoint0.prototype = ClipperLib4.DoublePoint.prototype;
      ClipperLib4.DoublePoint1 = function(dp) {
        this.X = dp.X;
        this.Y = dp.Y;
      };
      ClipperLib4.DoublePoint1.prototype = ClipperLib4.DoublePoint.prototype;
      ClipperLib4.DoublePoint2 = function(x, y) {
        this.X = x;
        this.Y = y;
      };
      ClipperLib4.DoublePoint2.prototype = ClipperLib4.DoublePoint.prototype;
      ClipperLib4.PolyNode = function() {
        this.m_Parent = null;
        this.m_polygon = new ClipperLib4.Path();
        this.m_Index = 0;
        this.m_jointype = 0;
        this.m_endtype = 0;
        this.m_Childs = [];
        this.IsOpen = false;
      };
      ClipperLib4.PolyNode.prototype.IsHoleNode = function() {
        var result = true;
        var node = this.m_Parent;
        while (node !== null) {
          result = !result;
          node = node.m_Parent;
        }
        return result;
      };
      ClipperLib4.PolyNode.prototype.ChildCount = function() {
        return this.m_Childs.length;
      };
      ClipperLib4.PolyNode.prototype.Contour = function() {
        return this.m_polygon;
      };
      ClipperLib4.PolyNode.prototype.AddChild = function(Child) {
        var cnt = this.m_Childs.length;
        this.m_Childs.push(Child);
        Child.m_Parent = this;
        Child.m_Index = cnt;
      };
      ClipperLib4.PolyNode.prototype.GetNext = function() {
        if (this.m_Childs.length > 0)
          return this.m_Childs[0];
        else
          return this.GetNextSiblingUp();
      };
      ClipperLib4.PolyNode.prototype.GetNextSiblingUp = function() {
        if (this.m_Parent === null)
          return null;
        else if (this.m_Index === this.m_Parent.m_Childs.length - 1)
          return this.m_Parent.GetNextSiblingUp();
        else
          return this.m_Parent.m_Childs[this.m_Index + 1];
      };
      ClipperLib4.PolyNode.prototype.Childs = function() {
        return this.m_Childs;
      };
      ClipperLib4.PolyNode.prototype.Parent = function() {
        return this.m_Parent;
      };
      ClipperLib4.PolyNode.prototype.IsHole = function() {
        return this.IsHoleNode();
      };
      ClipperLib4.PolyTree = function() {
        this.m_AllPolys = [];
        ClipperLib4.PolyNode.call(this);
      };
      ClipperLib4.PolyTree.prototype.Clear = function() {
        for (var i = 0, ilen = this.m_AllPolys.length; i < ilen; i++)
          this.m_AllPolys[i] = null;
        this.m_AllPolys.length = 0;
        this.m_Childs.length = 0;
      };
      ClipperLib4.PolyTree.prototype.GetFirst = function() {
        if (this.m_Childs.length > 0)
          return this.m_Childs[0];
        else
          return null;
      };
      ClipperLib4.PolyTree.prototype.Total = function() {
        var result = this.m_AllPolys.length;
        if (result > 0 && this.m_Childs[0] !== this.m_AllPolys[0]) result--;
        return result;
      };
      Inherit(ClipperLib4.PolyTree, ClipperLib4.PolyNode);
      ClipperLib4.Math_Abs_Int64 = ClipperLib4.Math_Abs_Int32 = ClipperLib4.Math_Abs_Double = function(a) {
        return Math.abs(a);
      };
      ClipperLib4.Math_Max_Int32_Int32 = function(a, b) {
        return Math.max(a, b);
      };
      if (browser.msie || browser.opera || browser.safari) ClipperLib4.Cast_Int32 = function(a) {
        return a | 0;
      };
      else ClipperLib4.Cast_Int32 = function(a) {
        return ~~a;
      };
      if (typeof Number.toInteger === "undefined")
        Number.toInteger = null;
      if (browser.chrome) ClipperLib4.Cast_Int64 = function(a) {
        if (a < -2147483648 || a > 2147483647)
          return a < 0 ? Math.ceil(a) : Math.floor(a);
        else return ~~a;
      };
      else if (browser.firefox && typeof Number.toInteger === "function") ClipperLib4.Cast_Int64 = function(a) {
        return Number.toInteger(a);
      };
      else if (browser.msie7 || browser.msie8) ClipperLib4.Cast_Int64 = function(a) {
        return parseInt(a, 10);
      };
      else if (browser.msie) ClipperLib4.Cast_Int64 = function(a) {
        if (a < -2147483648 || a > 2147483647)
          return a < 0 ? Math.ceil(a) : Math.floor(a);
        return a | 0;
      };
      else ClipperLib4.Cast_Int64 = function(a) {
        return a < 0 ? Math.ceil(a) : Math.floor(a);
      };
      ClipperLib4.Clear = function(a) {
        a.length = 0;
      };
      ClipperLib4.PI = 3.141592653589793;
      ClipperLib4.PI2 = 2 * 3.141592653589793;
      ClipperLib4.IntPoint = function() {
        var a = arguments, alen = a.length;
        this.X = 0;
        this.Y = 0;
        if (ClipperLib4.use_xyz) {
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
            if (a[0] instanceof ClipperLib4.DoublePoint) {
              var dp = a[0];
              this.X = ClipperLib4.Clipper.Round(dp.X);
              this.Y = ClipperLib4.Clipper.Round(dp.Y);
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
            if (a[0] instanceof ClipperLib4.DoublePoint) {
              var dp = a[0];
              this.X = ClipperLib4.Clipper.Round(dp.X);
              this.Y = ClipperLib4.Clipper.Round(dp.Y);
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
      ClipperLib4.IntPoint.op_Equality = function(a, b) {
        return a.X === b.X && a.Y === b.Y;
      };
      ClipperLib4.IntPoint.op_Inequality = function(a, b) {
        return a.X !== b.X || a.Y !== b.Y;
      };
      ClipperLib4.IntPoint0 = function() {
        this.X = 0;
        this.Y = 0;
        if (ClipperLib4.use_xyz)
          this.Z = 0;
      };
      ClipperLib4.IntPoint0.prototype = ClipperLib4.IntPoint.prototype;
      ClipperLib4.IntPoint1 = function(pt) {
        this.X = pt.X;
        this.Y = pt.Y;
        if (ClipperLib4.use_xyz) {
          if (typeof pt.Z === "undefined") this.Z = 0;
          else this.Z = pt.Z;
        }
      };
      ClipperLib4.IntPoint1.prototype = ClipperLib4.IntPoint.prototype;
      ClipperLib4.IntPoint1dp = function(dp) {
        this.X = ClipperLib4.Clipper.Round(dp.X);
        this.Y = ClipperLib4.Clipper.Round(dp.Y);
        if (ClipperLib4.use_xyz)
          this.Z = 0;
      };
      ClipperLib4.IntPoint1dp.prototype = ClipperLib4.IntPoint.prototype;
      ClipperLib4.IntPoint2 = function(x, y, z) {
        this.X = x;
        this.Y = y;
        if (ClipperLib4.use_xyz) {
          if (typeof z === "undefined") this.Z = 0;
          else this.Z = z;
        }
      };
      ClipperLib4.IntPoint2.prototype = ClipperLib4.IntPoint.prototype;
      ClipperLib4.IntRect = function() {
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
      ClipperLib4.IntRect0 = function() {
        this.left = 0;
        this.top = 0;
        this.right = 0;
        this.bottom = 0;
      };
      ClipperLib4.IntRect0.prototype = ClipperLib4.IntRect.prototype;
      ClipperLib4.IntRect1 = function(ir) {
        this.left = ir.left;
        this.top = ir.top;
        this.right = ir.right;
        this.bottom = ir.bottom;
      };
      ClipperLib4.IntRect1.prototype = ClipperLib4.IntRect.prototype;
      ClipperLib4.IntRect4 = function(l, t, r, b) {
        this.left = l;
        this.top = t;
        this.right = r;
        this.bottom = b;
      };
      ClipperLib4.IntRect4.prototype = ClipperLib4.IntRect.prototype;
      ClipperLib4.ClipType = {
        ctIntersection: 0,
        ctUnion: 1,
        ctDifference: 2,
        ctXor: 3
      };
      ClipperLib4.PolyType = {
        ptSubject: 0,
        ptClip: 1
      };
      ClipperLib4.PolyFillType = {
        pftEvenOdd: 0,
        pftNonZero: 1,
        pftPositive: 2,
        pftNegative: 3
      };
      ClipperLib4.JoinType = {
        jtSquare: 0,
        jtRound: 1,
        jtMiter: 2
      };
      ClipperLib4.EndType = {
        etOpenSquare: 0,
        etOpenRound: 1,
        etOpenButt: 2,
        etClosedLine: 3,
        etClosedPolygon: 4
      };
      ClipperLib4.EdgeSide = {
        esLeft: 0,
        esRight: 1
      };
      ClipperLib4.Direction = {
        dRightToLeft: 0,
        dLeftToRight: 1
      };
      ClipperLib4.TEdge = function() {
        this.Bot = new ClipperLib4.IntPoint0();
        this.Curr = new ClipperLib4.IntPoint0();
        this.Top = new ClipperLib4.IntPoint0();
        this.Delta = new ClipperLib4.IntPoint0();
        this.Dx = 0;
        this.PolyTyp = ClipperLib4.PolyType.ptSubject;
        this.Side = ClipperLib4.EdgeSide.esLeft;
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
      ClipperLib4.IntersectNode = function() {
        this.Edge1 = null;
        this.Edge2 = null;
        this.Pt = new ClipperLib4.IntPoint0();
      };
      ClipperLib4.MyIntersectNodeSort = function() {
      };
      ClipperLib4.MyIntersectNodeSort.Compare = function(node1, node2) {
        var i = node2.Pt.Y - node1.Pt.Y;
        if (i > 0) return 1;
        else if (i < 0) return -1;
        else return 0;
      };
      ClipperLib4.LocalMinima = function() {
        this.Y = 0;
        this.LeftBound = null;
        this.RightBound = null;
        this.Next = null;
      };
      ClipperLib4.Scanbeam = function() {
        this.Y = 0;
        this.Next = null;
      };
      ClipperLib4.Maxima = function() {
        this.X = 0;
        this.Next = null;
        this.Prev = null;
      };
      ClipperLib4.OutRec = function() {
        this.Idx = 0;
        this.IsHole = false;
        this.IsOpen = false;
        this.FirstLeft = null;
        this.Pts = null;
        this.BottomPt = null;
        this.PolyNode = null;
      };
      ClipperLib4.OutPt = function() {
        this.Idx = 0;
        this.Pt = new ClipperLib4.IntPoint0();
        this.Next = null;
        this.Prev = null;
      };
      ClipperLib4.Join = function() {
        this.OutPt1 = null;
        this.OutPt2 = null;
        this.OffPt = new ClipperLib4.IntPoint0();
      };
      ClipperLib4.ClipperBase = function() {
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
      ClipperLib4.ClipperBase.horizontal = -9007199254740992;
      ClipperLib4.ClipperBase.Skip = -2;
      ClipperLib4.ClipperBase.Unassigned = -1;
      ClipperLib4.ClipperBase.tolerance = 1e-20;
      ClipperLib4.ClipperBase.loRange = 47453132;
      ClipperLib4.ClipperBase.hiRange = 4503599627370495;
      ClipperLib4.ClipperBase.near_zero = function(val) {
        return val > -ClipperLib4.ClipperBase.tolerance && val < ClipperLib4.ClipperBase.tolerance;
      };
      ClipperLib4.ClipperBase.IsHorizontal = function(e) {
        return e.Delta.Y === 0;
      };
      ClipperLib4.ClipperBase.prototype.PointIsVertex = function(pt, pp) {
        var pp2 = pp;
        do {
          if (ClipperLib4.IntPoint.op_Equality(pp2.Pt, pt))
            return true;
          pp2 = pp2.Next;
        } while (pp2 !== pp);
        return false;
      };
      ClipperLib4.ClipperBase.prototype.PointOnLineSegment = function(pt, linePt1, linePt2, UseFullRange) {
        if (UseFullRange)
          return pt.X === linePt1.X && pt.Y === linePt1.Y || pt.X === linePt2.X && pt.Y === linePt2.Y || pt.X > linePt1.X === pt.X < linePt2.X && pt.Y > linePt1.Y === pt.Y < linePt2.Y && Int128.op_Equality(
            Int128.Int128Mul(pt.X - linePt1.X, linePt2.Y - linePt1.Y),
            Int128.Int128Mul(linePt2.X - linePt1.X, pt.Y - linePt1.Y)
          );
        else
          return pt.X === linePt1.X && pt.Y === linePt1.Y || pt.X === linePt2.X && pt.Y === linePt2.Y || pt.X > linePt1.X === pt.X < linePt2.X && pt.Y > linePt1.Y === pt.Y < linePt2.Y && (pt.X - linePt1.X) * (linePt2.Y - linePt1.Y) === (linePt2.X - linePt1.X) * (pt.Y - linePt1.Y);
      };
      ClipperLib4.ClipperBase.prototype.PointOnPolygon = function(pt, pp, UseFullRange) {
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
      ClipperLib4.ClipperBase.prototype.SlopesEqual = ClipperLib4.ClipperBase.SlopesEqual = function() {
        var a = arguments, alen = a.length;
        var e1, e2, pt1, pt2, pt3, pt4, UseFullRange;
        if (alen === 3) {
          e1 = a[0];
          e2 = a[1];
          UseFullRange = a[2];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(e1.Delta.Y, e2.Delta.X), Int128.Int128Mul(e1.Delta.X, e2.Delta.Y));
          else
            return ClipperLib4.Cast_Int64(e1.Delta.Y * e2.Delta.X) === ClipperLib4.Cast_Int64(e1.Delta.X * e2.Delta.Y);
        } else if (alen === 4) {
          pt1 = a[0];
          pt2 = a[1];
          pt3 = a[2];
          UseFullRange = a[3];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt2.X - pt3.X), Int128.Int128Mul(pt1.X - pt2.X, pt2.Y - pt3.Y));
          else
            return ClipperLib4.Cast_Int64((pt1.Y - pt2.Y) * (pt2.X - pt3.X)) - ClipperLib4.Cast_Int64((pt1.X - pt2.X) * (pt2.Y - pt3.Y)) === 0;
        } else {
          pt1 = a[0];
          pt2 = a[1];
          pt3 = a[2];
          pt4 = a[3];
          UseFullRange = a[4];
          if (UseFullRange)
            return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt3.X - pt4.X), Int128.Int128Mul(pt1.X - pt2.X, pt3.Y - pt4.Y));
          else
            return ClipperLib4.Cast_Int64((pt1.Y - pt2.Y) * (pt3.X - pt4.X)) - ClipperLib4.Cast_Int64((pt1.X - pt2.X) * (pt3.Y - pt4.Y)) === 0;
        }
      };
      ClipperLib4.ClipperBase.SlopesEqual3 = function(e1, e2, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(e1.Delta.Y, e2.Delta.X), Int128.Int128Mul(e1.Delta.X, e2.Delta.Y));
        else
          return ClipperLib4.Cast_Int64(e1.Delta.Y * e2.Delta.X) === ClipperLib4.Cast_Int64(e1.Delta.X * e2.Delta.Y);
      };
      ClipperLib4.ClipperBase.SlopesEqual4 = function(pt1, pt2, pt3, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt2.X - pt3.X), Int128.Int128Mul(pt1.X - pt2.X, pt2.Y - pt3.Y));
        else
          return ClipperLib4.Cast_Int64((pt1.Y - pt2.Y) * (pt2.X - pt3.X)) - ClipperLib4.Cast_Int64((pt1.X - pt2.X) * (pt2.Y - pt3.Y)) === 0;
      };
      ClipperLib4.ClipperBase.SlopesEqual5 = function(pt1, pt2, pt3, pt4, UseFullRange) {
        if (UseFullRange)
          return Int128.op_Equality(Int128.Int128Mul(pt1.Y - pt2.Y, pt3.X - pt4.X), Int128.Int128Mul(pt1.X - pt2.X, pt3.Y - pt4.Y));
        else
          return ClipperLib4.Cast_Int64((pt1.Y - pt2.Y) * (pt3.X - pt4.X)) - ClipperLib4.Cast_Int64((pt1.X - pt2.X) * (pt3.Y - pt4.Y)) === 0;
      };
      ClipperLib4.ClipperBase.prototype.Clear = function() {
        this.DisposeLocalMinimaList();
        for (var i = 0, ilen = this.m_edges.length; i < ilen; ++i) {
          for (var j = 0, jlen = this.m_edges[i].length; j < jlen; ++j)
            this.m_edges[i][j] = null;
          ClipperLib4.Clear(this.m_edges[i]);
        }
        ClipperLib4.Clear(this.m_edges);
        this.m_UseFullRange = false;
        this.m_HasOpenPaths = false;
      };
      ClipperLib4.ClipperBase.prototype.DisposeLocalMinimaList = function() {
        while (this.m_MinimaList !== null) {
          var tmpLm = this.m_MinimaList.Next;
          this.m_MinimaList = null;
          this.m_MinimaList = tmpLm;
        }
        this.m_CurrentLM = null;
      };
      ClipperLib4.ClipperBase.prototype.RangeTest = function(Pt, useFullRange) {
        if (useFullRange.Value) {
          if (Pt.X > ClipperLib4.ClipperBase.hiRange || Pt.Y > ClipperLib4.ClipperBase.hiRange || -Pt.X > ClipperLib4.ClipperBase.hiRange || -Pt.Y > ClipperLib4.ClipperBase.hiRange)
            ClipperLib4.Error("Coordinate outside allowed range in RangeTest().");
        } else if (Pt.X > ClipperLib4.ClipperBase.loRange || Pt.Y > ClipperLib4.ClipperBase.loRange || -Pt.X > ClipperLib4.ClipperBase.loRange || -Pt.Y > ClipperLib4.ClipperBase.loRange) {
          useFullRange.Value = true;
          this.RangeTest(Pt, useFullRange);
        }
      };
      ClipperLib4.ClipperBase.prototype.InitEdge = function(e, eNext, ePrev, pt) {
        e.Next = eNext;
        e.Prev = ePrev;
        e.Curr.X = pt.X;
        e.Curr.Y = pt.Y;
        if (ClipperLib4.use_xyz) e.Curr.Z = pt.Z;
        e.OutIdx = -1;
      };
      ClipperLib4.ClipperBase.prototype.InitEdge2 = function(e, polyType) {
        if (e.Curr.Y >= e.Next.Curr.Y) {
          e.Bot.X = e.Curr.X;
          e.Bot.Y = e.Curr.Y;
          if (ClipperLib4.use_xyz) e.Bot.Z = e.Curr.Z;
          e.Top.X = e.Next.Curr.X;
          e.Top.Y = e.Next.Curr.Y;
          if (ClipperLib4.use_xyz) e.Top.Z = e.Next.Curr.Z;
        } else {
          e.Top.X = e.Curr.X;
          e.Top.Y = e.Curr.Y;
          if (ClipperLib4.use_xyz) e.Top.Z = e.Curr.Z;
          e.Bot.X = e.Next.Curr.X;
          e.Bot.Y = e.Next.Curr.Y;
          if (ClipperLib4.use_xyz) e.Bot.Z = e.Next.Curr.Z;
        }
        this.SetDx(e);
        e.PolyTyp = polyType;
      };
      ClipperLib4.ClipperBase.prototype.FindNextLocMin = function(E) {
        var E2;
        for (; ; ) {
          while (ClipperLib4.IntPoint.op_Inequality(E.Bot, E.Prev.Bot) || ClipperLib4.IntPoint.op_Equality(E.Curr, E.Top))
            E = E.Next;
          if (E.Dx !== ClipperLib4.ClipperBase.horizontal && E.Prev.Dx !== ClipperLib4.ClipperBase.horizontal)
            break;
          while (E.Prev.Dx === ClipperLib4.ClipperBase.horizontal)
            E = E.Prev;
          E2 = E;
          while (E.Dx === ClipperLib4.ClipperBase.horizontal)
            E = E.Next;
          if (E.Top.Y === E.Prev.Bot.Y)
            continue;
          if (E2.Prev.Bot.X < E.Bot.X)
            E = E2;
          break;
        }
        return E;
      };
      ClipperLib4.ClipperBase.prototype.ProcessBound = function(E, LeftBoundIsForward) {
        var EStart;
        var Result = E;
        var Horz;
        if (Result.OutIdx === ClipperLib4.ClipperBase.Skip) {
          E = Result;
          if (LeftBoundIsForward) {
            while (E.Top.Y === E.Next.Bot.Y) E = E.Next;
            while (E !== Result && E.Dx === ClipperLib4.ClipperBase.horizontal) E = E.Prev;
          } else {
            while (E.Top.Y === E.Prev.Bot.Y) E = E.Prev;
            while (E !== Result && E.Dx === ClipperLib4.ClipperBase.horizontal) E = E.Next;
          }
          if (E === Result) {
            if (LeftBoundIsForward) Result = E.Next;
            else Result = E.Prev;
          } else {
            if (LeftBoundIsForward)
              E = Result.Next;
            else
              E = Result.Prev;
            var locMin = new ClipperLib4.LocalMinima();
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
        if (E.Dx === ClipperLib4.ClipperBase.horizontal) {
          if (LeftBoundIsForward) EStart = E.Prev;
          else EStart = E.Next;
          if (EStart.Dx === ClipperLib4.ClipperBase.horizontal) {
            if (EStart.Bot.X !== E.Bot.X && EStart.Top.X !== E.Bot.X)
              this.ReverseHorizontal(E);
          } else if (EStart.Bot.X !== E.Bot.X)
            this.ReverseHorizontal(E);
        }
        EStart = E;
        if (LeftBoundIsForward) {
          while (Result.Top.Y === Result.Next.Bot.Y && Result.Next.OutIdx !== ClipperLib4.ClipperBase.Skip)
            Result = Result.Next;
          if (Result.Dx === ClipperLib4.ClipperBase.horizontal && Result.Next.OutIdx !== ClipperLib4.ClipperBase.Skip) {
            Horz = Result;
            while (Horz.Prev.Dx === ClipperLib4.ClipperBase.horizontal)
              Horz = Horz.Prev;
            if (Horz.Prev.Top.X > Result.Next.Top.X)
              Result = Horz.Prev;
          }
          while (E !== Result) {
            E.NextInLML = E.Next;
            if (E.Dx === ClipperLib4.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Prev.Top.X)
              this.ReverseHorizontal(E);
            E = E.Next;
          }
          if (E.Dx === ClipperLib4.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Prev.Top.X)
            this.ReverseHorizontal(E);
          Result = Result.Next;
        } else {
          while (Result.Top.Y === Result.Prev.Bot.Y && Result.Prev.OutIdx !== ClipperLib4.ClipperBase.Skip)
            Result = Result.Prev;
          if (Result.Dx === ClipperLib4.ClipperBase.horizontal && Result.Prev.OutIdx !== ClipperLib4.ClipperBase.Skip) {
            Horz = Result;
            while (Horz.Next.Dx === ClipperLib4.ClipperBase.horizontal)
              Horz = Horz.Next;
            if (Horz.Next.Top.X === Result.Prev.Top.X || Horz.Next.Top.X > Result.Prev.Top.X) {
              Result = Horz.Next;
            }
          }
          while (E !== Result) {
            E.NextInLML = E.Prev;
            if (E.Dx === ClipperLib4.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Next.Top.X)
              this.ReverseHorizontal(E);
            E = E.Prev;
          }
          if (E.Dx === ClipperLib4.ClipperBase.horizontal && E !== EStart && E.Bot.X !== E.Next.Top.X)
            this.ReverseHorizontal(E);
          Result = Result.Prev;
        }
        return Result;
      };
      ClipperLib4.ClipperBase.prototype.AddPath = function(pg, polyType, Closed) {
        if (ClipperLib4.use_lines) {
          if (!Closed && polyType === ClipperLib4.PolyType.ptClip)
            ClipperLib4.Error("AddPath: Open paths must be subject.");
        } else {
          if (!Closed)
            ClipperLib4.Error("AddPath: Open paths have been disabled.");
        }
        var highI = pg.length - 1;
        if (Closed)
          while (highI > 0 && ClipperLib4.IntPoint.op_Equality(pg[highI], pg[0]))
            --highI;
        while (highI > 0 && ClipperLib4.IntPoint.op_Equality(pg[highI], pg[highI - 1]))
          --highI;
        if (Closed && highI < 2 || !Closed && highI < 1)
          return false;
        var edges = new Array();
        for (var i = 0; i <= highI; i++)
          edges.push(new ClipperLib4.TEdge());
        var IsFlat = true;
        edges[1].Curr.X = pg[1].X;
        edges[1].Curr.Y = pg[1].Y;
        if (ClipperLib4.use_xyz) edges[1].Curr.Z = pg[1].Z;
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
          else if (Closed && ClipperLib4.ClipperBase.SlopesEqual4(E.Prev.Curr, E.Curr, E.Next.Curr, this.m_UseFullRange) && (!this.PreserveCollinear || !this.Pt2IsBetweenPt1AndPt3(E.Prev.Curr, E.Curr, E.Next.Curr))) {
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
          eStart.Prev.OutIdx = ClipperLib4.ClipperBase.Skip;
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
          E.Prev.OutIdx = ClipperLib4.ClipperBase.Skip;
          var locMin = new ClipperLib4.LocalMinima();
          locMin.Next = null;
          locMin.Y = E.Bot.Y;
          locMin.LeftBound = null;
          locMin.RightBound = E;
          locMin.RightBound.Side = ClipperLib4.EdgeSide.esRight;
          locMin.RightBound.WindDelta = 0;
          for (; ; ) {
            if (E.Bot.X !== E.Prev.Top.X) this.ReverseHorizontal(E);
            if (E.Next.OutIdx === ClipperLib4.ClipperBase.Skip) break;
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
        if (ClipperLib4.IntPoint.op_Equality(E.Prev.Bot, E.Prev.Top))
          E = E.Next;
        for (; ; ) {
          E = this.FindNextLocMin(E);
          if (E === EMin)
            break;
          else if (EMin === null)
            EMin = E;
          var locMin = new ClipperLib4.LocalMinima();
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
          locMin.LeftBound.Side = ClipperLib4.EdgeSide.esLeft;
          locMin.RightBound.Side = ClipperLib4.EdgeSide.esRight;
          if (!Closed)
            locMin.LeftBound.WindDelta = 0;
          else if (locMin.LeftBound.Next === locMin.RightBound)
            locMin.LeftBound.WindDelta = -1;
          else
            locMin.LeftBound.WindDelta = 1;
          locMin.RightBound.WindDelta = -locMin.LeftBound.WindDelta;
          E = this.ProcessBound(locMin.LeftBound, leftBoundIsForward);
          if (E.OutIdx === ClipperLib4.ClipperBase.Skip)
            E = this.ProcessBound(E, leftBoundIsForward);
          var E2 = this.ProcessBound(locMin.RightBound, !leftBoundIsForward);
          if (E2.OutIdx === ClipperLib4.ClipperBase.Skip) E2 = this.ProcessBound(E2, !leftBoundIsForward);
          if (locMin.LeftBound.OutIdx === ClipperLib4.ClipperBase.Skip)
            locMin.LeftBound = null;
          else if (locMin.RightBound.OutIdx === ClipperLib4.ClipperBase.Skip)
            locMin.RightBound = null;
          this.InsertLocalMinima(locMin);
          if (!leftBoundIsForward)
            E = E2;
        }
        return true;
      };
      ClipperLib4.ClipperBase.prototype.AddPaths = function(ppg, polyType, closed) {
        var result = false;
        for (var i = 0, ilen = ppg.length; i < ilen; ++i)
          if (this.AddPath(ppg[i], polyType, closed))
            result = true;
        return result;
      };
      ClipperLib4.ClipperBase.prototype.Pt2IsBetweenPt1AndPt3 = function(pt1, pt2, pt3) {
        if (ClipperLib4.IntPoint.op_Equality(pt1, pt3) || ClipperLib4.IntPoint.op_Equality(pt1, pt2) || ClipperLib4.IntPoint.op_Equality(pt3, pt2))
          return false;
        else if (pt1.X !== pt3.X)
          return pt2.X > pt1.X === pt2.X < pt3.X;
        else
          return pt2.Y > pt1.Y === pt2.Y < pt3.Y;
      };
      ClipperLib4.ClipperBase.prototype.RemoveEdge = function(e) {
        e.Prev.Next = e.Next;
        e.Next.Prev = e.Prev;
        var result = e.Next;
        e.Prev = null;
        return result;
      };
      ClipperLib4.ClipperBase.prototype.SetDx = function(e) {
        e.Delta.X = e.Top.X - e.Bot.X;
        e.Delta.Y = e.Top.Y - e.Bot.Y;
        if (e.Delta.Y === 0) e.Dx = ClipperLib4.ClipperBase.horizontal;
        else e.Dx = e.Delta.X / e.Delta.Y;
      };
      ClipperLib4.ClipperBase.prototype.InsertLocalMinima = function(newLm) {
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
      ClipperLib4.ClipperBase.prototype.PopLocalMinima = function(Y, current) {
        current.v = this.m_CurrentLM;
        if (this.m_CurrentLM !== null && this.m_CurrentLM.Y === Y) {
          this.m_CurrentLM = this.m_CurrentLM.Next;
          return true;
        }
        return false;
      };
      ClipperLib4.ClipperBase.prototype.ReverseHorizontal = function(e) {
        var tmp = e.Top.X;
        e.Top.X = e.Bot.X;
        e.Bot.X = tmp;
        if (ClipperLib4.use_xyz) {
          tmp = e.Top.Z;
          e.Top.Z = e.Bot.Z;
          e.Bot.Z = tmp;
        }
      };
      ClipperLib4.ClipperBase.prototype.Reset = function() {
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
            if (ClipperLib4.use_xyz) e.Curr.Z = e.Bot.Z;
            e.OutIdx = ClipperLib4.ClipperBase.Unassigned;
          }
          e = lm.RightBound;
          if (e !== null) {
            e.Curr.X = e.Bot.X;
            e.Curr.Y = e.Bot.Y;
            if (ClipperLib4.use_xyz) e.Curr.Z = e.Bot.Z;
            e.OutIdx = ClipperLib4.ClipperBase.Unassigned;
          }
          lm = lm.Next;
        }
        this.m_ActiveEdges = null;
      };
      ClipperLib4.ClipperBase.prototype.InsertScanbeam = function(Y) {
        if (this.m_Scanbeam === null) {
          this.m_Scanbeam = new ClipperLib4.Scanbeam();
          this.m_Scanbeam.Next = null;
          this.m_Scanbeam.Y = Y;
        } else if (Y > this.m_Scanbeam.Y) {
          var newSb = new ClipperLib4.Scanbeam();
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
          var newSb1 = new ClipperLib4.Scanbeam();
          newSb1.Y = Y;
          newSb1.Next = sb2.Next;
          sb2.Next = newSb1;
        }
      };
      ClipperLib4.ClipperBase.prototype.PopScanbeam = function(Y) {
        if (this.m_Scanbeam === null) {
          Y.v = 0;
          return false;
        }
        Y.v = this.m_Scanbeam.Y;
        this.m_Scanbeam = this.m_Scanbeam.Next;
        return true;
      };
      ClipperLib4.ClipperBase.prototype.LocalMinimaPending = function() {
        return this.m_CurrentLM !== null;
      };
      ClipperLib4.ClipperBase.prototype.CreateOutRec = function() {
        var result = new ClipperLib4.OutRec();
        result.Idx = ClipperLib4.ClipperBase.Unassigned;
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
      ClipperLib4.ClipperBase.prototype.DisposeOutRec = function(index) {
        var outRec = this.m_PolyOuts[index];
        outRec.Pts = null;
        outRec = null;
        this.m_PolyOuts[index] = null;
      };
      ClipperLib4.ClipperBase.prototype.UpdateEdgeIntoAEL = function(e) {
        if (e.NextInLML === null) {
          ClipperLib4.Error("UpdateEdgeIntoAEL: invalid call");
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
        if (!ClipperLib4.ClipperBase.IsHorizontal(e)) {
          this.InsertScanbeam(e.Top.Y);
        }
        return e;
      };
      ClipperLib4.ClipperBase.prototype.SwapPositionsInAEL = function(edge1, edge2) {
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
      ClipperLib4.ClipperBase.prototype.DeleteFromAEL = function(e) {
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
      ClipperLib4.Clipper = function(InitOptions) {
        if (typeof InitOptions === "undefined") InitOptions = 0;
        this.m_PolyOuts = null;
        this.m_ClipType = ClipperLib4.ClipType.ctIntersection;
        this.m_Scanbeam = null;
        this.m_Maxima = null;
        this.m_ActiveEdges = null;
        this.m_SortedEdges = null;
        this.m_IntersectList = null;
        this.m_IntersectNodeComparer = null;
        this.m_ExecuteLocked = false;
        this.m_ClipFillType = ClipperLib4.PolyFillType.pftEvenOdd;
        this.m_SubjFillType = ClipperLib4.PolyFillType.pftEvenOdd;
        this.m_Joins = null;
        this.m_GhostJoins = null;
        this.m_UsingPolyTree = false;
        this.ReverseSolution = false;
        this.StrictlySimple = false;
        ClipperLib4.ClipperBase.call(this);
        this.m_Scanbeam = null;
        this.m_Maxima = null;
        this.m_ActiveEdges = null;
        this.m_SortedEdges = null;
        this.m_IntersectList = new Array();
        this.m_IntersectNodeComparer = ClipperLib4.MyIntersectNodeSort.Compare;
        this.m_ExecuteLocked = false;
        this.m_UsingPolyTree = false;
        this.m_PolyOuts = new Array();
        this.m_Joins = new Array();
        this.m_GhostJoins = new Array();
        this.ReverseSolution = (1 & InitOptions) !== 0;
        this.StrictlySimple = (2 & InitOptions) !== 0;
        this.PreserveCollinear = (4 & InitOptions) !== 0;
        if (ClipperLib4.use_xyz) {
          this.ZFillFunction = null;
        }
      };
      ClipperLib4.Clipper.ioReverseSolution = 1;
      ClipperLib4.Clipper.ioStrictlySimple = 2;
      ClipperLib4.Clipper.ioPreserveCollinear = 4;
      ClipperLib4.Clipper.prototype.Clear = function() {
        if (this.m_edges.length === 0)
          return;
        this.DisposeAllPolyPts();
        ClipperLib4.ClipperBase.prototype.Clear.call(this);
      };
      ClipperLib4.Clipper.prototype.InsertMaxima = function(X) {
        var newMax = new ClipperLib4.Maxima();
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
      ClipperLib4.Clipper.prototype.Execute = function() {
        var a = arguments, alen = a.length, ispolytree = a[1] instanceof ClipperLib4.PolyTree;
        if (alen === 4 && !ispolytree) {
          var clipType = a[0], solution = a[1], subjFillType = a[2], clipFillType = a[3];
          if (this.m_ExecuteLocked)
            return false;
          if (this.m_HasOpenPaths)
            ClipperLib4.Error("Error: PolyTree struct is needed for open path clipping.");
          this.m_ExecuteLocked = true;
          ClipperLib4.Clear(solution);
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
          return this.Execute(clipType, solution, ClipperLib4.PolyFillType.pftEvenOdd, ClipperLib4.PolyFillType.pftEvenOdd);
        } else if (alen === 2 && ispolytree) {
          var clipType = a[0], polytree = a[1];
          return this.Execute(clipType, polytree, ClipperLib4.PolyFillType.pftEvenOdd, ClipperLib4.PolyFillType.pftEvenOdd);
        }
      };
      ClipperLib4.Clipper.prototype.FixHoleLinkage = function(outRec) {
        if (outRec.FirstLeft === null || outRec.IsHole !== outRec.FirstLeft.IsHole && outRec.FirstLeft.Pts !== null)
          return;
        var orfl = outRec.FirstLeft;
        while (orfl !== null && (orfl.IsHole === outRec.IsHole || orfl.Pts === null))
          orfl = orfl.FirstLeft;
        outRec.FirstLeft = orfl;
      };
      ClipperLib4.Clipper.prototype.ExecuteInternal = function() {
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
      ClipperLib4.Clipper.prototype.DisposeAllPolyPts = function() {
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; ++i)
          this.DisposeOutRec(i);
        ClipperLib4.Clear(this.m_PolyOuts);
      };
      ClipperLib4.Clipper.prototype.AddJoin = function(Op1, Op2, OffPt) {
        var j = new ClipperLib4.Join();
        j.OutPt1 = Op1;
        j.OutPt2 = Op2;
        j.OffPt.X = OffPt.X;
        j.OffPt.Y = OffPt.Y;
        if (ClipperLib4.use_xyz) j.OffPt.Z = OffPt.Z;
        this.m_Joins.push(j);
      };
      ClipperLib4.Clipper.prototype.AddGhostJoin = function(Op, OffPt) {
        var j = new ClipperLib4.Join();
        j.OutPt1 = Op;
        j.OffPt.X = OffPt.X;
        j.OffPt.Y = OffPt.Y;
        if (ClipperLib4.use_xyz) j.OffPt.Z = OffPt.Z;
        this.m_GhostJoins.push(j);
      };
      ClipperLib4.Clipper.prototype.SetZ = function(pt, e1, e2) {
        if (this.ZFillFunction !== null) {
          if (pt.Z !== 0 || this.ZFillFunction === null) return;
          else if (ClipperLib4.IntPoint.op_Equality(pt, e1.Bot)) pt.Z = e1.Bot.Z;
          else if (ClipperLib4.IntPoint.op_Equality(pt, e1.Top)) pt.Z = e1.Top.Z;
          else if (ClipperLib4.IntPoint.op_Equality(pt, e2.Bot)) pt.Z = e2.Bot.Z;
          else if (ClipperLib4.IntPoint.op_Equality(pt, e2.Top)) pt.Z = e2.Top.Z;
          else this.ZFillFunction(e1.Bot, e1.Top, e2.Bot, e2.Top, pt);
        }
      };
      ClipperLib4.Clipper.prototype.InsertLocalMinimaIntoAEL = function(botY) {
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
            if (ClipperLib4.ClipperBase.IsHorizontal(rb)) {
              if (rb.NextInLML !== null) {
                this.InsertScanbeam(rb.NextInLML.Top.Y);
              }
              this.AddEdgeToSEL(rb);
            } else {
              this.InsertScanbeam(rb.Top.Y);
            }
          }
          if (lb === null || rb === null) continue;
          if (Op1 !== null && ClipperLib4.ClipperBase.IsHorizontal(rb) && this.m_GhostJoins.length > 0 && rb.WindDelta !== 0) {
            for (var i = 0, ilen = this.m_GhostJoins.length; i < ilen; i++) {
              var j = this.m_GhostJoins[i];
              if (this.HorzSegmentsOverlap(j.OutPt1.Pt.X, j.OffPt.X, rb.Bot.X, rb.Top.X))
                this.AddJoin(j.OutPt1, Op1, j.OffPt);
            }
          }
          if (lb.OutIdx >= 0 && lb.PrevInAEL !== null && lb.PrevInAEL.Curr.X === lb.Bot.X && lb.PrevInAEL.OutIdx >= 0 && ClipperLib4.ClipperBase.SlopesEqual5(lb.PrevInAEL.Curr, lb.PrevInAEL.Top, lb.Curr, lb.Top, this.m_UseFullRange) && lb.WindDelta !== 0 && lb.PrevInAEL.WindDelta !== 0) {
            var Op2 = this.AddOutPt(lb.PrevInAEL, lb.Bot);
            this.AddJoin(Op1, Op2, lb.Top);
          }
          if (lb.NextInAEL !== rb) {
            if (rb.OutIdx >= 0 && rb.PrevInAEL.OutIdx >= 0 && ClipperLib4.ClipperBase.SlopesEqual5(rb.PrevInAEL.Curr, rb.PrevInAEL.Top, rb.Curr, rb.Top, this.m_UseFullRange) && rb.WindDelta !== 0 && rb.PrevInAEL.WindDelta !== 0) {
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
      ClipperLib4.Clipper.prototype.InsertEdgeIntoAEL = function(edge, startEdge) {
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
      ClipperLib4.Clipper.prototype.E2InsertsBeforeE1 = function(e1, e2) {
        if (e2.Curr.X === e1.Curr.X) {
          if (e2.Top.Y > e1.Top.Y)
            return e2.Top.X < ClipperLib4.Clipper.TopX(e1, e2.Top.Y);
          else
            return e1.Top.X > ClipperLib4.Clipper.TopX(e2, e1.Top.Y);
        } else
          return e2.Curr.X < e1.Curr.X;
      };
      ClipperLib4.Clipper.prototype.IsEvenOddFillType = function(edge) {
        if (edge.PolyTyp === ClipperLib4.PolyType.ptSubject)
          return this.m_SubjFillType === ClipperLib4.PolyFillType.pftEvenOdd;
        else
          return this.m_ClipFillType === ClipperLib4.PolyFillType.pftEvenOdd;
      };
      ClipperLib4.Clipper.prototype.IsEvenOddAltFillType = function(edge) {
        if (edge.PolyTyp === ClipperLib4.PolyType.ptSubject)
          return this.m_ClipFillType === ClipperLib4.PolyFillType.pftEvenOdd;
        else
          return this.m_SubjFillType === ClipperLib4.PolyFillType.pftEvenOdd;
      };
      ClipperLib4.Clipper.prototype.IsContributing = function(edge) {
        var pft, pft2;
        if (edge.PolyTyp === ClipperLib4.PolyType.ptSubject) {
          pft = this.m_SubjFillType;
          pft2 = this.m_ClipFillType;
        } else {
          pft = this.m_ClipFillType;
          pft2 = this.m_SubjFillType;
        }
        switch (pft) {
          case ClipperLib4.PolyFillType.pftEvenOdd:
            if (edge.WindDelta === 0 && edge.WindCnt !== 1)
              return false;
            break;
          case ClipperLib4.PolyFillType.pftNonZero:
            if (Math.abs(edge.WindCnt) !== 1)
              return false;
            break;
          case ClipperLib4.PolyFillType.pftPositive:
            if (edge.WindCnt !== 1)
              return false;
            break;
          default:
            if (edge.WindCnt !== -1)
              return false;
            break;
        }
        switch (this.m_ClipType) {
          case ClipperLib4.ClipType.ctIntersection:
            switch (pft2) {
              case ClipperLib4.PolyFillType.pftEvenOdd:
              case ClipperLib4.PolyFillType.pftNonZero:
                return edge.WindCnt2 !== 0;
              case ClipperLib4.PolyFillType.pftPositive:
                return edge.WindCnt2 > 0;
              default:
                return edge.WindCnt2 < 0;
            }
          case ClipperLib4.ClipType.ctUnion:
            switch (pft2) {
              case ClipperLib4.PolyFillType.pftEvenOdd:
              case ClipperLib4.PolyFillType.pftNonZero:
                return edge.WindCnt2 === 0;
              case ClipperLib4.PolyFillType.pftPositive:
                return edge.WindCnt2 <= 0;
              default:
                return edge.WindCnt2 >= 0;
            }
          case ClipperLib4.ClipType.ctDifference:
            if (edge.PolyTyp === ClipperLib4.PolyType.ptSubject)
              switch (pft2) {
                case ClipperLib4.PolyFillType.pftEvenOdd:
                case ClipperLib4.PolyFillType.pftNonZero:
                  return edge.WindCnt2 === 0;
                case ClipperLib4.PolyFillType.pftPositive:
                  return edge.WindCnt2 <= 0;
                default:
                  return edge.WindCnt2 >= 0;
              }
            else
              switch (pft2) {
                case ClipperLib4.PolyFillType.pftEvenOdd:
                case ClipperLib4.PolyFillType.pftNonZero:
                  return edge.WindCnt2 !== 0;
                case ClipperLib4.PolyFillType.pftPositive:
                  return edge.WindCnt2 > 0;
                default:
                  return edge.WindCnt2 < 0;
              }
          case ClipperLib4.ClipType.ctXor:
            if (edge.WindDelta === 0)
              switch (pft2) {
                case ClipperLib4.PolyFillType.pftEvenOdd:
                case ClipperLib4.PolyFillType.pftNonZero:
                  return edge.WindCnt2 === 0;
                case ClipperLib4.PolyFillType.pftPositive:
                  return edge.WindCnt2 <= 0;
                default:
                  return edge.WindCnt2 >= 0;
              }
            else
              return true;
        }
        return true;
      };
      ClipperLib4.Clipper.prototype.SetWindingCount = function(edge) {
        var e = edge.PrevInAEL;
        while (e !== null && (e.PolyTyp !== edge.PolyTyp || e.WindDelta === 0))
          e = e.PrevInAEL;
        if (e === null) {
          var pft = edge.PolyTyp === ClipperLib4.PolyType.ptSubject ? this.m_SubjFillType : this.m_ClipFillType;
          if (edge.WindDelta === 0) {
            edge.WindCnt = pft === ClipperLib4.PolyFillType.pftNegative ? -1 : 1;
          } else {
            edge.WindCnt = edge.WindDelta;
          }
          edge.WindCnt2 = 0;
          e = this.m_ActiveEdges;
        } else if (edge.WindDelta === 0 && this.m_ClipType !== ClipperLib4.ClipType.ctUnion) {
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
      ClipperLib4.Clipper.prototype.AddEdgeToSEL = function(edge) {
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
      ClipperLib4.Clipper.prototype.PopEdgeFromSEL = function(e) {
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
      ClipperLib4.Clipper.prototype.CopyAELToSEL = function() {
        var e = this.m_ActiveEdges;
        this.m_SortedEdges = e;
        while (e !== null) {
          e.PrevInSEL = e.PrevInAEL;
          e.NextInSEL = e.NextInAEL;
          e = e.NextInAEL;
        }
      };
      ClipperLib4.Clipper.prototype.SwapPositionsInSEL = function(edge1, edge2) {
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
      ClipperLib4.Clipper.prototype.AddLocalMaxPoly = function(e1, e2, pt) {
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
      ClipperLib4.Clipper.prototype.AddLocalMinPoly = function(e1, e2, pt) {
        var result;
        var e, prevE;
        if (ClipperLib4.ClipperBase.IsHorizontal(e2) || e1.Dx > e2.Dx) {
          result = this.AddOutPt(e1, pt);
          e2.OutIdx = e1.OutIdx;
          e1.Side = ClipperLib4.EdgeSide.esLeft;
          e2.Side = ClipperLib4.EdgeSide.esRight;
          e = e1;
          if (e.PrevInAEL === e2)
            prevE = e2.PrevInAEL;
          else
            prevE = e.PrevInAEL;
        } else {
          result = this.AddOutPt(e2, pt);
          e1.OutIdx = e2.OutIdx;
          e1.Side = ClipperLib4.EdgeSide.esRight;
          e2.Side = ClipperLib4.EdgeSide.esLeft;
          e = e2;
          if (e.PrevInAEL === e1)
            prevE = e1.PrevInAEL;
          else
            prevE = e.PrevInAEL;
        }
        if (prevE !== null && prevE.OutIdx >= 0 && prevE.Top.Y < pt.Y && e.Top.Y < pt.Y) {
          var xPrev = ClipperLib4.Clipper.TopX(prevE, pt.Y);
          var xE = ClipperLib4.Clipper.TopX(e, pt.Y);
          if (xPrev === xE && e.WindDelta !== 0 && prevE.WindDelta !== 0 && ClipperLib4.ClipperBase.SlopesEqual5(new ClipperLib4.IntPoint2(xPrev, pt.Y), prevE.Top, new ClipperLib4.IntPoint2(xE, pt.Y), e.Top, this.m_UseFullRange)) {
            var outPt = this.AddOutPt(prevE, pt);
            this.AddJoin(result, outPt, e.Top);
          }
        }
        return result;
      };
      ClipperLib4.Clipper.prototype.AddOutPt = function(e, pt) {
        if (e.OutIdx < 0) {
          var outRec = this.CreateOutRec();
          outRec.IsOpen = e.WindDelta === 0;
          var newOp = new ClipperLib4.OutPt();
          outRec.Pts = newOp;
          newOp.Idx = outRec.Idx;
          newOp.Pt.X = pt.X;
          newOp.Pt.Y = pt.Y;
          if (ClipperLib4.use_xyz) newOp.Pt.Z = pt.Z;
          newOp.Next = newOp;
          newOp.Prev = newOp;
          if (!outRec.IsOpen)
            this.SetHoleState(e, outRec);
          e.OutIdx = outRec.Idx;
          return newOp;
        } else {
          var outRec = this.m_PolyOuts[e.OutIdx];
          var op = outRec.Pts;
          var ToFront = e.Side === ClipperLib4.EdgeSide.esLeft;
          if (ToFront && ClipperLib4.IntPoint.op_Equality(pt, op.Pt))
            return op;
          else if (!ToFront && ClipperLib4.IntPoint.op_Equality(pt, op.Prev.Pt))
            return op.Prev;
          var newOp = new ClipperLib4.OutPt();
          newOp.Idx = outRec.Idx;
          newOp.Pt.X = pt.X;
          newOp.Pt.Y = pt.Y;
          if (ClipperLib4.use_xyz) newOp.Pt.Z = pt.Z;
          newOp.Next = op;
          newOp.Prev = op.Prev;
          newOp.Prev.Next = newOp;
          op.Prev = newOp;
          if (ToFront)
            outRec.Pts = newOp;
          return newOp;
        }
      };
      ClipperLib4.Clipper.prototype.GetLastOutPt = function(e) {
        var outRec = this.m_PolyOuts[e.OutIdx];
        if (e.Side === ClipperLib4.EdgeSide.esLeft) {
          return outRec.Pts;
        } else {
          return outRec.Pts.Prev;
        }
      };
      ClipperLib4.Clipper.prototype.SwapPoints = function(pt1, pt2) {
        var tmp = new ClipperLib4.IntPoint1(pt1.Value);
        pt1.Value.X = pt2.Value.X;
        pt1.Value.Y = pt2.Value.Y;
        if (ClipperLib4.use_xyz) pt1.Value.Z = pt2.Value.Z;
        pt2.Value.X = tmp.X;
        pt2.Value.Y = tmp.Y;
        if (ClipperLib4.use_xyz) pt2.Value.Z = tmp.Z;
      };
      ClipperLib4.Clipper.prototype.HorzSegmentsOverlap = function(seg1a, seg1b, seg2a, seg2b) {
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
      ClipperLib4.Clipper.prototype.SetHoleState = function(e, outRec) {
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
      ClipperLib4.Clipper.prototype.GetDx = function(pt1, pt2) {
        if (pt1.Y === pt2.Y)
          return ClipperLib4.ClipperBase.horizontal;
        else
          return (pt2.X - pt1.X) / (pt2.Y - pt1.Y);
      };
      ClipperLib4.Clipper.prototype.FirstIsBottomPt = function(btmPt1, btmPt2) {
        var p = btmPt1.Prev;
        while (ClipperLib4.IntPoint.op_Equality(p.Pt, btmPt1.Pt) && p !== btmPt1)
          p = p.Prev;
        var dx1p = Math.abs(this.GetDx(btmPt1.Pt, p.Pt));
        p = btmPt1.Next;
        while (ClipperLib4.IntPoint.op_Equality(p.Pt, btmPt1.Pt) && p !== btmPt1)
          p = p.Next;
        var dx1n = Math.abs(this.GetDx(btmPt1.Pt, p.Pt));
        p = btmPt2.Prev;
        while (ClipperLib4.IntPoint.op_Equality(p.Pt, btmPt2.Pt) && p !== btmPt2)
          p = p.Prev;
        var dx2p = Math.abs(this.GetDx(btmPt2.Pt, p.Pt));
        p = btmPt2.Next;
        while (ClipperLib4.IntPoint.op_Equality(p.Pt, btmPt2.Pt) && p !== btmPt2)
          p = p.Next;
        var dx2n = Math.abs(this.GetDx(btmPt2.Pt, p.Pt));
        if (Math.max(dx1p, dx1n) === Math.max(dx2p, dx2n) && Math.min(dx1p, dx1n) === Math.min(dx2p, dx2n)) {
          return this.Area(btmPt1) > 0;
        } else {
          return dx1p >= dx2p && dx1p >= dx2n || dx1n >= dx2p && dx1n >= dx2n;
        }
      };
      ClipperLib4.Clipper.prototype.GetBottomPt = function(pp) {
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
            while (ClipperLib4.IntPoint.op_Inequality(dups.Pt, pp.Pt))
              dups = dups.Next;
          }
        }
        return pp;
      };
      ClipperLib4.Clipper.prototype.GetLowermostRec = function(outRec1, outRec2) {
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
      ClipperLib4.Clipper.prototype.OutRec1RightOfOutRec2 = function(outRec1, outRec2) {
        do {
          outRec1 = outRec1.FirstLeft;
          if (outRec1 === outRec2)
            return true;
        } while (outRec1 !== null);
        return false;
      };
      ClipperLib4.Clipper.prototype.GetOutRec = function(idx) {
        var outrec = this.m_PolyOuts[idx];
        while (outrec !== this.m_PolyOuts[outrec.Idx])
          outrec = this.m_PolyOuts[outrec.Idx];
        return outrec;
      };
      ClipperLib4.Clipper.prototype.AppendPolygon = function(e1, e2) {
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
        if (e1.Side === ClipperLib4.EdgeSide.esLeft) {
          if (e2.Side === ClipperLib4.EdgeSide.esLeft) {
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
          if (e2.Side === ClipperLib4.EdgeSide.esRight) {
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
      ClipperLib4.Clipper.prototype.ReversePolyPtLinks = function(pp) {
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
      ClipperLib4.Clipper.SwapSides = function(edge1, edge2) {
        var side2 = edge1.Side;
        edge1.Side = edge2.Side;
        edge2.Side = side2;
      };
      ClipperLib4.Clipper.SwapPolyIndexes = function(edge1, edge2) {
        var outIdx = edge1.OutIdx;
        edge1.OutIdx = edge2.OutIdx;
        edge2.OutIdx = outIdx;
      };
      ClipperLib4.Clipper.prototype.IntersectEdges = function(e1, e2, pt) {
        var e1Contributing = e1.OutIdx >= 0;
        var e2Contributing = e2.OutIdx >= 0;
        if (ClipperLib4.use_xyz)
          this.SetZ(pt, e1, e2);
        if (ClipperLib4.use_lines) {
          if (e1.WindDelta === 0 || e2.WindDelta === 0) {
            if (e1.WindDelta === 0 && e2.WindDelta === 0) return;
            else if (e1.PolyTyp === e2.PolyTyp && e1.WindDelta !== e2.WindDelta && this.m_ClipType === ClipperLib4.ClipType.ctUnion) {
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
              if (e1.WindDelta === 0 && Math.abs(e2.WindCnt) === 1 && (this.m_ClipType !== ClipperLib4.ClipType.ctUnion || e2.WindCnt2 === 0)) {
                this.AddOutPt(e1, pt);
                if (e1Contributing)
                  e1.OutIdx = -1;
              } else if (e2.WindDelta === 0 && Math.abs(e1.WindCnt) === 1 && (this.m_ClipType !== ClipperLib4.ClipType.ctUnion || e1.WindCnt2 === 0)) {
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
        if (e1.PolyTyp === ClipperLib4.PolyType.ptSubject) {
          e1FillType = this.m_SubjFillType;
          e1FillType2 = this.m_ClipFillType;
        } else {
          e1FillType = this.m_ClipFillType;
          e1FillType2 = this.m_SubjFillType;
        }
        if (e2.PolyTyp === ClipperLib4.PolyType.ptSubject) {
          e2FillType = this.m_SubjFillType;
          e2FillType2 = this.m_ClipFillType;
        } else {
          e2FillType = this.m_ClipFillType;
          e2FillType2 = this.m_SubjFillType;
        }
        var e1Wc, e2Wc;
        switch (e1FillType) {
          case ClipperLib4.PolyFillType.pftPositive:
            e1Wc = e1.WindCnt;
            break;
          case ClipperLib4.PolyFillType.pftNegative:
            e1Wc = -e1.WindCnt;
            break;
          default:
            e1Wc = Math.abs(e1.WindCnt);
            break;
        }
        switch (e2FillType) {
          case ClipperLib4.PolyFillType.pftPositive:
            e2Wc = e2.WindCnt;
            break;
          case ClipperLib4.PolyFillType.pftNegative:
            e2Wc = -e2.WindCnt;
            break;
          default:
            e2Wc = Math.abs(e2.WindCnt);
            break;
        }
        if (e1Contributing && e2Contributing) {
          if (e1Wc !== 0 && e1Wc !== 1 || e2Wc !== 0 && e2Wc !== 1 || e1.PolyTyp !== e2.PolyTyp && this.m_ClipType !== ClipperLib4.ClipType.ctXor) {
            this.AddLocalMaxPoly(e1, e2, pt);
          } else {
            this.AddOutPt(e1, pt);
            this.AddOutPt(e2, pt);
            ClipperLib4.Clipper.SwapSides(e1, e2);
            ClipperLib4.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if (e1Contributing) {
          if (e2Wc === 0 || e2Wc === 1) {
            this.AddOutPt(e1, pt);
            ClipperLib4.Clipper.SwapSides(e1, e2);
            ClipperLib4.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if (e2Contributing) {
          if (e1Wc === 0 || e1Wc === 1) {
            this.AddOutPt(e2, pt);
            ClipperLib4.Clipper.SwapSides(e1, e2);
            ClipperLib4.Clipper.SwapPolyIndexes(e1, e2);
          }
        } else if ((e1Wc === 0 || e1Wc === 1) && (e2Wc === 0 || e2Wc === 1)) {
          var e1Wc2, e2Wc2;
          switch (e1FillType2) {
            case ClipperLib4.PolyFillType.pftPositive:
              e1Wc2 = e1.WindCnt2;
              break;
            case ClipperLib4.PolyFillType.pftNegative:
              e1Wc2 = -e1.WindCnt2;
              break;
            default:
              e1Wc2 = Math.abs(e1.WindCnt2);
              break;
          }
          switch (e2FillType2) {
            case ClipperLib4.PolyFillType.pftPositive:
              e2Wc2 = e2.WindCnt2;
              break;
            case ClipperLib4.PolyFillType.pftNegative:
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
              case ClipperLib4.ClipType.ctIntersection:
                if (e1Wc2 > 0 && e2Wc2 > 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib4.ClipType.ctUnion:
                if (e1Wc2 <= 0 && e2Wc2 <= 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib4.ClipType.ctDifference:
                if (e1.PolyTyp === ClipperLib4.PolyType.ptClip && e1Wc2 > 0 && e2Wc2 > 0 || e1.PolyTyp === ClipperLib4.PolyType.ptSubject && e1Wc2 <= 0 && e2Wc2 <= 0)
                  this.AddLocalMinPoly(e1, e2, pt);
                break;
              case ClipperLib4.ClipType.ctXor:
                this.AddLocalMinPoly(e1, e2, pt);
                break;
            }
          else
            ClipperLib4.Clipper.SwapSides(e1, e2);
        }
      };
      ClipperLib4.Clipper.prototype.DeleteFromSEL = function(e) {
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
      ClipperLib4.Clipper.prototype.ProcessHorizontals = function() {
        var horzEdge = {};
        while (this.PopEdgeFromSEL(horzEdge)) {
          this.ProcessHorizontal(horzEdge.v);
        }
      };
      ClipperLib4.Clipper.prototype.GetHorzDirection = function(HorzEdge, $var) {
        if (HorzEdge.Bot.X < HorzEdge.Top.X) {
          $var.Left = HorzEdge.Bot.X;
          $var.Right = HorzEdge.Top.X;
          $var.Dir = ClipperLib4.Direction.dLeftToRight;
        } else {
          $var.Left = HorzEdge.Top.X;
          $var.Right = HorzEdge.Bot.X;
          $var.Dir = ClipperLib4.Direction.dRightToLeft;
        }
      };
      ClipperLib4.Clipper.prototype.ProcessHorizontal = function(horzEdge) {
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
        while (eLastHorz.NextInLML !== null && ClipperLib4.ClipperBase.IsHorizontal(eLastHorz.NextInLML))
          eLastHorz = eLastHorz.NextInLML;
        if (eLastHorz.NextInLML === null)
          eMaxPair = this.GetMaximaPair(eLastHorz);
        var currMax = this.m_Maxima;
        if (currMax !== null) {
          if (dir === ClipperLib4.Direction.dLeftToRight) {
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
              if (dir === ClipperLib4.Direction.dLeftToRight) {
                while (currMax !== null && currMax.X < e.Curr.X) {
                  if (horzEdge.OutIdx >= 0 && !IsOpen) {
                    this.AddOutPt(horzEdge, new ClipperLib4.IntPoint2(currMax.X, horzEdge.Bot.Y));
                  }
                  currMax = currMax.Next;
                }
              } else {
                while (currMax !== null && currMax.X > e.Curr.X) {
                  if (horzEdge.OutIdx >= 0 && !IsOpen) {
                    this.AddOutPt(horzEdge, new ClipperLib4.IntPoint2(currMax.X, horzEdge.Bot.Y));
                  }
                  currMax = currMax.Prev;
                }
              }
            }
            if (dir === ClipperLib4.Direction.dLeftToRight && e.Curr.X > horzRight || dir === ClipperLib4.Direction.dRightToLeft && e.Curr.X < horzLeft) {
              break;
            }
            if (e.Curr.X === horzEdge.Top.X && horzEdge.NextInLML !== null && e.Dx < horzEdge.NextInLML.Dx)
              break;
            if (horzEdge.OutIdx >= 0 && !IsOpen) {
              if (ClipperLib4.use_xyz) {
                if (dir === ClipperLib4.Direction.dLeftToRight)
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
            if (dir === ClipperLib4.Direction.dLeftToRight) {
              var Pt = new ClipperLib4.IntPoint2(e.Curr.X, horzEdge.Curr.Y);
              this.IntersectEdges(horzEdge, e, Pt);
            } else {
              var Pt = new ClipperLib4.IntPoint2(e.Curr.X, horzEdge.Curr.Y);
              this.IntersectEdges(e, horzEdge, Pt);
            }
            var eNext = this.GetNextInAEL(e, dir);
            this.SwapPositionsInAEL(horzEdge, e);
            e = eNext;
          }
          if (horzEdge.NextInLML === null || !ClipperLib4.ClipperBase.IsHorizontal(horzEdge.NextInLML)) {
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
            if (ePrev !== null && ePrev.Curr.X === horzEdge.Bot.X && ePrev.Curr.Y === horzEdge.Bot.Y && ePrev.WindDelta === 0 && (ePrev.OutIdx >= 0 && ePrev.Curr.Y > ePrev.Top.Y && ClipperLib4.ClipperBase.SlopesEqual3(horzEdge, ePrev, this.m_UseFullRange))) {
              var op2 = this.AddOutPt(ePrev, horzEdge.Bot);
              this.AddJoin(op1, op2, horzEdge.Top);
            } else if (eNext !== null && eNext.Curr.X === horzEdge.Bot.X && eNext.Curr.Y === horzEdge.Bot.Y && eNext.WindDelta !== 0 && eNext.OutIdx >= 0 && eNext.Curr.Y > eNext.Top.Y && ClipperLib4.ClipperBase.SlopesEqual3(horzEdge, eNext, this.m_UseFullRange)) {
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
      ClipperLib4.Clipper.prototype.GetNextInAEL = function(e, Direction) {
        return Direction === ClipperLib4.Direction.dLeftToRight ? e.NextInAEL : e.PrevInAEL;
      };
      ClipperLib4.Clipper.prototype.IsMinima = function(e) {
        return e !== null && e.Prev.NextInLML !== e && e.Next.NextInLML !== e;
      };
      ClipperLib4.Clipper.prototype.IsMaxima = function(e, Y) {
        return e !== null && e.Top.Y === Y && e.NextInLML === null;
      };
      ClipperLib4.Clipper.prototype.IsIntermediate = function(e, Y) {
        return e.Top.Y === Y && e.NextInLML !== null;
      };
      ClipperLib4.Clipper.prototype.GetMaximaPair = function(e) {
        if (ClipperLib4.IntPoint.op_Equality(e.Next.Top, e.Top) && e.Next.NextInLML === null) {
          return e.Next;
        } else {
          if (ClipperLib4.IntPoint.op_Equality(e.Prev.Top, e.Top) && e.Prev.NextInLML === null) {
            return e.Prev;
          } else {
            return null;
          }
        }
      };
      ClipperLib4.Clipper.prototype.GetMaximaPairEx = function(e) {
        var result = this.GetMaximaPair(e);
        if (result === null || result.OutIdx === ClipperLib4.ClipperBase.Skip || result.NextInAEL === result.PrevInAEL && !ClipperLib4.ClipperBase.IsHorizontal(result)) {
          return null;
        }
        return result;
      };
      ClipperLib4.Clipper.prototype.ProcessIntersections = function(topY) {
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
          ClipperLib4.Error("ProcessIntersections error");
        }
        this.m_SortedEdges = null;
        return true;
      };
      ClipperLib4.Clipper.prototype.BuildIntersectList = function(topY) {
        if (this.m_ActiveEdges === null)
          return;
        var e = this.m_ActiveEdges;
        this.m_SortedEdges = e;
        while (e !== null) {
          e.PrevInSEL = e.PrevInAEL;
          e.NextInSEL = e.NextInAEL;
          e.Curr.X = ClipperLib4.Clipper.TopX(e, topY);
          e = e.NextInAEL;
        }
        var isModified = true;
        while (isModified && this.m_SortedEdges !== null) {
          isModified = false;
          e = this.m_SortedEdges;
          while (e.NextInSEL !== null) {
            var eNext = e.NextInSEL;
            var pt = new ClipperLib4.IntPoint0();
            if (e.Curr.X > eNext.Curr.X) {
              this.IntersectPoint(e, eNext, pt);
              if (pt.Y < topY) {
                pt = new ClipperLib4.IntPoint2(ClipperLib4.Clipper.TopX(e, topY), topY);
              }
              var newNode = new ClipperLib4.IntersectNode();
              newNode.Edge1 = e;
              newNode.Edge2 = eNext;
              newNode.Pt.X = pt.X;
              newNode.Pt.Y = pt.Y;
              if (ClipperLib4.use_xyz) newNode.Pt.Z = pt.Z;
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
      ClipperLib4.Clipper.prototype.EdgesAdjacent = function(inode) {
        return inode.Edge1.NextInSEL === inode.Edge2 || inode.Edge1.PrevInSEL === inode.Edge2;
      };
      ClipperLib4.Clipper.IntersectNodeSort = function(node1, node2) {
        return node2.Pt.Y - node1.Pt.Y;
      };
      ClipperLib4.Clipper.prototype.FixupIntersectionOrder = function() {
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
      ClipperLib4.Clipper.prototype.ProcessIntersectList = function() {
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
      if (browser.msie) ClipperLib4.Clipper.Round = R1;
      else if (browser.chromium) ClipperLib4.Clipper.Round = R3;
      else if (browser.safari) ClipperLib4.Clipper.Round = R4;
      else ClipperLib4.Clipper.Round = R2;
      ClipperLib4.Clipper.TopX = function(edge, currentY) {
        if (currentY === edge.Top.Y)
          return edge.Top.X;
        return edge.Bot.X + ClipperLib4.Clipper.Round(edge.Dx * (currentY - edge.Bot.Y));
      };
      ClipperLib4.Clipper.prototype.IntersectPoint = function(edge1, edge2, ip) {
        ip.X = 0;
        ip.Y = 0;
        var b1, b2;
        if (edge1.Dx === edge2.Dx) {
          ip.Y = edge1.Curr.Y;
          ip.X = ClipperLib4.Clipper.TopX(edge1, ip.Y);
          return;
        }
        if (edge1.Delta.X === 0) {
          ip.X = edge1.Bot.X;
          if (ClipperLib4.ClipperBase.IsHorizontal(edge2)) {
            ip.Y = edge2.Bot.Y;
          } else {
            b2 = edge2.Bot.Y - edge2.Bot.X / edge2.Dx;
            ip.Y = ClipperLib4.Clipper.Round(ip.X / edge2.Dx + b2);
          }
        } else if (edge2.Delta.X === 0) {
          ip.X = edge2.Bot.X;
          if (ClipperLib4.ClipperBase.IsHorizontal(edge1)) {
            ip.Y = edge1.Bot.Y;
          } else {
            b1 = edge1.Bot.Y - edge1.Bot.X / edge1.Dx;
            ip.Y = ClipperLib4.Clipper.Round(ip.X / edge1.Dx + b1);
          }
        } else {
          b1 = edge1.Bot.X - edge1.Bot.Y * edge1.Dx;
          b2 = edge2.Bot.X - edge2.Bot.Y * edge2.Dx;
          var q = (b2 - b1) / (edge1.Dx - edge2.Dx);
          ip.Y = ClipperLib4.Clipper.Round(q);
          if (Math.abs(edge1.Dx) < Math.abs(edge2.Dx))
            ip.X = ClipperLib4.Clipper.Round(edge1.Dx * q + b1);
          else
            ip.X = ClipperLib4.Clipper.Round(edge2.Dx * q + b2);
        }
        if (ip.Y < edge1.Top.Y || ip.Y < edge2.Top.Y) {
          if (edge1.Top.Y > edge2.Top.Y) {
            ip.Y = edge1.Top.Y;
            ip.X = ClipperLib4.Clipper.TopX(edge2, edge1.Top.Y);
            return ip.X < edge1.Top.X;
          } else
            ip.Y = edge2.Top.Y;
          if (Math.abs(edge1.Dx) < Math.abs(edge2.Dx))
            ip.X = ClipperLib4.Clipper.TopX(edge1, ip.Y);
          else
            ip.X = ClipperLib4.Clipper.TopX(edge2, ip.Y);
        }
        if (ip.Y > edge1.Curr.Y) {
          ip.Y = edge1.Curr.Y;
          if (Math.abs(edge1.Dx) > Math.abs(edge2.Dx))
            ip.X = ClipperLib4.Clipper.TopX(edge2, ip.Y);
          else
            ip.X = ClipperLib4.Clipper.TopX(edge1, ip.Y);
        }
      };
      ClipperLib4.Clipper.prototype.ProcessEdgesAtTopOfScanbeam = function(topY) {
        var e = this.m_ActiveEdges;
        while (e !== null) {
          var IsMaximaEdge = this.IsMaxima(e, topY);
          if (IsMaximaEdge) {
            var eMaxPair = this.GetMaximaPairEx(e);
            IsMaximaEdge = eMaxPair === null || !ClipperLib4.ClipperBase.IsHorizontal(eMaxPair);
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
            if (this.IsIntermediate(e, topY) && ClipperLib4.ClipperBase.IsHorizontal(e.NextInLML)) {
              e = this.UpdateEdgeIntoAEL(e);
              if (e.OutIdx >= 0)
                this.AddOutPt(e, e.Bot);
              this.AddEdgeToSEL(e);
            } else {
              e.Curr.X = ClipperLib4.Clipper.TopX(e, topY);
              e.Curr.Y = topY;
            }
            if (ClipperLib4.use_xyz) {
              if (e.Top.Y === topY) e.Curr.Z = e.Top.Z;
              else if (e.Bot.Y === topY) e.Curr.Z = e.Bot.Z;
              else e.Curr.Z = 0;
            }
            if (this.StrictlySimple) {
              var ePrev = e.PrevInAEL;
              if (e.OutIdx >= 0 && e.WindDelta !== 0 && ePrev !== null && ePrev.OutIdx >= 0 && ePrev.Curr.X === e.Curr.X && ePrev.WindDelta !== 0) {
                var ip = new ClipperLib4.IntPoint1(e.Curr);
                if (ClipperLib4.use_xyz) {
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
            if (ePrev !== null && ePrev.Curr.X === e.Bot.X && ePrev.Curr.Y === e.Bot.Y && op !== null && ePrev.OutIdx >= 0 && ePrev.Curr.Y === ePrev.Top.Y && ClipperLib4.ClipperBase.SlopesEqual5(e.Curr, e.Top, ePrev.Curr, ePrev.Top, this.m_UseFullRange) && e.WindDelta !== 0 && ePrev.WindDelta !== 0) {
              var op2 = this.AddOutPt(ePrev2, e.Bot);
              this.AddJoin(op, op2, e.Top);
            } else if (eNext !== null && eNext.Curr.X === e.Bot.X && eNext.Curr.Y === e.Bot.Y && op !== null && eNext.OutIdx >= 0 && eNext.Curr.Y === eNext.Top.Y && ClipperLib4.ClipperBase.SlopesEqual5(e.Curr, e.Top, eNext.Curr, eNext.Top, this.m_UseFullRange) && e.WindDelta !== 0 && eNext.WindDelta !== 0) {
              var op2 = this.AddOutPt(eNext, e.Bot);
              this.AddJoin(op, op2, e.Top);
            }
          }
          e = e.NextInAEL;
        }
      };
      ClipperLib4.Clipper.prototype.DoMaxima = function(e) {
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
        } else if (ClipperLib4.use_lines && e.WindDelta === 0) {
          if (e.OutIdx >= 0) {
            this.AddOutPt(e, e.Top);
            e.OutIdx = ClipperLib4.ClipperBase.Unassigned;
          }
          this.DeleteFromAEL(e);
          if (eMaxPair.OutIdx >= 0) {
            this.AddOutPt(eMaxPair, e.Top);
            eMaxPair.OutIdx = ClipperLib4.ClipperBase.Unassigned;
          }
          this.DeleteFromAEL(eMaxPair);
        } else
          ClipperLib4.Error("DoMaxima error");
      };
      ClipperLib4.Clipper.ReversePaths = function(polys) {
        for (var i = 0, len = polys.length; i < len; i++)
          polys[i].reverse();
      };
      ClipperLib4.Clipper.Orientation = function(poly) {
        return ClipperLib4.Clipper.Area(poly) >= 0;
      };
      ClipperLib4.Clipper.prototype.PointCount = function(pts) {
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
      ClipperLib4.Clipper.prototype.BuildResult = function(polyg) {
        ClipperLib4.Clear(polyg);
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
      ClipperLib4.Clipper.prototype.BuildResult2 = function(polytree) {
        polytree.Clear();
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          var outRec = this.m_PolyOuts[i];
          var cnt = this.PointCount(outRec.Pts);
          if (outRec.IsOpen && cnt < 2 || !outRec.IsOpen && cnt < 3)
            continue;
          this.FixHoleLinkage(outRec);
          var pn = new ClipperLib4.PolyNode();
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
      ClipperLib4.Clipper.prototype.FixupOutPolyline = function(outRec) {
        var pp = outRec.Pts;
        var lastPP = pp.Prev;
        while (pp !== lastPP) {
          pp = pp.Next;
          if (ClipperLib4.IntPoint.op_Equality(pp.Pt, pp.Prev.Pt)) {
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
      ClipperLib4.Clipper.prototype.FixupOutPolygon = function(outRec) {
        var lastOK = null;
        outRec.BottomPt = null;
        var pp = outRec.Pts;
        var preserveCol = this.PreserveCollinear || this.StrictlySimple;
        for (; ; ) {
          if (pp.Prev === pp || pp.Prev === pp.Next) {
            outRec.Pts = null;
            return;
          }
          if (ClipperLib4.IntPoint.op_Equality(pp.Pt, pp.Next.Pt) || ClipperLib4.IntPoint.op_Equality(pp.Pt, pp.Prev.Pt) || ClipperLib4.ClipperBase.SlopesEqual4(pp.Prev.Pt, pp.Pt, pp.Next.Pt, this.m_UseFullRange) && (!preserveCol || !this.Pt2IsBetweenPt1AndPt3(pp.Prev.Pt, pp.Pt, pp.Next.Pt))) {
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
      ClipperLib4.Clipper.prototype.DupOutPt = function(outPt, InsertAfter) {
        var result = new ClipperLib4.OutPt();
        result.Pt.X = outPt.Pt.X;
        result.Pt.Y = outPt.Pt.Y;
        if (ClipperLib4.use_xyz) result.Pt.Z = outPt.Pt.Z;
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
      ClipperLib4.Clipper.prototype.GetOverlap = function(a1, a2, b1, b2, $val) {
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
      ClipperLib4.Clipper.prototype.JoinHorz = function(op1, op1b, op2, op2b, Pt, DiscardLeft) {
        var Dir1 = op1.Pt.X > op1b.Pt.X ? ClipperLib4.Direction.dRightToLeft : ClipperLib4.Direction.dLeftToRight;
        var Dir2 = op2.Pt.X > op2b.Pt.X ? ClipperLib4.Direction.dRightToLeft : ClipperLib4.Direction.dLeftToRight;
        if (Dir1 === Dir2)
          return false;
        if (Dir1 === ClipperLib4.Direction.dLeftToRight) {
          while (op1.Next.Pt.X <= Pt.X && op1.Next.Pt.X >= op1.Pt.X && op1.Next.Pt.Y === Pt.Y)
            op1 = op1.Next;
          if (DiscardLeft && op1.Pt.X !== Pt.X)
            op1 = op1.Next;
          op1b = this.DupOutPt(op1, !DiscardLeft);
          if (ClipperLib4.IntPoint.op_Inequality(op1b.Pt, Pt)) {
            op1 = op1b;
            op1.Pt.X = Pt.X;
            op1.Pt.Y = Pt.Y;
            if (ClipperLib4.use_xyz) op1.Pt.Z = Pt.Z;
            op1b = this.DupOutPt(op1, !DiscardLeft);
          }
        } else {
          while (op1.Next.Pt.X >= Pt.X && op1.Next.Pt.X <= op1.Pt.X && op1.Next.Pt.Y === Pt.Y)
            op1 = op1.Next;
          if (!DiscardLeft && op1.Pt.X !== Pt.X)
            op1 = op1.Next;
          op1b = this.DupOutPt(op1, DiscardLeft);
          if (ClipperLib4.IntPoint.op_Inequality(op1b.Pt, Pt)) {
            op1 = op1b;
            op1.Pt.X = Pt.X;
            op1.Pt.Y = Pt.Y;
            if (ClipperLib4.use_xyz) op1.Pt.Z = Pt.Z;
            op1b = this.DupOutPt(op1, DiscardLeft);
          }
        }
        if (Dir2 === ClipperLib4.Direction.dLeftToRight) {
          while (op2.Next.Pt.X <= Pt.X && op2.Next.Pt.X >= op2.Pt.X && op2.Next.Pt.Y === Pt.Y)
            op2 = op2.Next;
          if (DiscardLeft && op2.Pt.X !== Pt.X)
            op2 = op2.Next;
          op2b = this.DupOutPt(op2, !DiscardLeft);
          if (ClipperLib4.IntPoint.op_Inequality(op2b.Pt, Pt)) {
            op2 = op2b;
            op2.Pt.X = Pt.X;
            op2.Pt.Y = Pt.Y;
            if (ClipperLib4.use_xyz) op2.Pt.Z = Pt.Z;
            op2b = this.DupOutPt(op2, !DiscardLeft);
          }
        } else {
          while (op2.Next.Pt.X >= Pt.X && op2.Next.Pt.X <= op2.Pt.X && op2.Next.Pt.Y === Pt.Y)
            op2 = op2.Next;
          if (!DiscardLeft && op2.Pt.X !== Pt.X)
            op2 = op2.Next;
          op2b = this.DupOutPt(op2, DiscardLeft);
          if (ClipperLib4.IntPoint.op_Inequality(op2b.Pt, Pt)) {
            op2 = op2b;
            op2.Pt.X = Pt.X;
            op2.Pt.Y = Pt.Y;
            if (ClipperLib4.use_xyz) op2.Pt.Z = Pt.Z;
            op2b = this.DupOutPt(op2, DiscardLeft);
          }
        }
        if (Dir1 === ClipperLib4.Direction.dLeftToRight === DiscardLeft) {
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
      ClipperLib4.Clipper.prototype.JoinPoints = function(j, outRec1, outRec2) {
        var op1 = j.OutPt1, op1b = new ClipperLib4.OutPt();
        var op2 = j.OutPt2, op2b = new ClipperLib4.OutPt();
        var isHorizontal = j.OutPt1.Pt.Y === j.OffPt.Y;
        if (isHorizontal && ClipperLib4.IntPoint.op_Equality(j.OffPt, j.OutPt1.Pt) && ClipperLib4.IntPoint.op_Equality(j.OffPt, j.OutPt2.Pt)) {
          if (outRec1 !== outRec2) return false;
          op1b = j.OutPt1.Next;
          while (op1b !== op1 && ClipperLib4.IntPoint.op_Equality(op1b.Pt, j.OffPt))
            op1b = op1b.Next;
          var reverse1 = op1b.Pt.Y > j.OffPt.Y;
          op2b = j.OutPt2.Next;
          while (op2b !== op2 && ClipperLib4.IntPoint.op_Equality(op2b.Pt, j.OffPt))
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
          var Pt = new ClipperLib4.IntPoint0();
          var DiscardLeftSide;
          if (op1.Pt.X >= Left && op1.Pt.X <= Right) {
            Pt.X = op1.Pt.X;
            Pt.Y = op1.Pt.Y;
            if (ClipperLib4.use_xyz) Pt.Z = op1.Pt.Z;
            DiscardLeftSide = op1.Pt.X > op1b.Pt.X;
          } else if (op2.Pt.X >= Left && op2.Pt.X <= Right) {
            Pt.X = op2.Pt.X;
            Pt.Y = op2.Pt.Y;
            if (ClipperLib4.use_xyz) Pt.Z = op2.Pt.Z;
            DiscardLeftSide = op2.Pt.X > op2b.Pt.X;
          } else if (op1b.Pt.X >= Left && op1b.Pt.X <= Right) {
            Pt.X = op1b.Pt.X;
            Pt.Y = op1b.Pt.Y;
            if (ClipperLib4.use_xyz) Pt.Z = op1b.Pt.Z;
            DiscardLeftSide = op1b.Pt.X > op1.Pt.X;
          } else {
            Pt.X = op2b.Pt.X;
            Pt.Y = op2b.Pt.Y;
            if (ClipperLib4.use_xyz) Pt.Z = op2b.Pt.Z;
            DiscardLeftSide = op2b.Pt.X > op2.Pt.X;
          }
          j.OutPt1 = op1;
          j.OutPt2 = op2;
          return this.JoinHorz(op1, op1b, op2, op2b, Pt, DiscardLeftSide);
        } else {
          op1b = op1.Next;
          while (ClipperLib4.IntPoint.op_Equality(op1b.Pt, op1.Pt) && op1b !== op1)
            op1b = op1b.Next;
          var Reverse1 = op1b.Pt.Y > op1.Pt.Y || !ClipperLib4.ClipperBase.SlopesEqual4(op1.Pt, op1b.Pt, j.OffPt, this.m_UseFullRange);
          if (Reverse1) {
            op1b = op1.Prev;
            while (ClipperLib4.IntPoint.op_Equality(op1b.Pt, op1.Pt) && op1b !== op1)
              op1b = op1b.Prev;
            if (op1b.Pt.Y > op1.Pt.Y || !ClipperLib4.ClipperBase.SlopesEqual4(op1.Pt, op1b.Pt, j.OffPt, this.m_UseFullRange))
              return false;
          }
          op2b = op2.Next;
          while (ClipperLib4.IntPoint.op_Equality(op2b.Pt, op2.Pt) && op2b !== op2)
            op2b = op2b.Next;
          var Reverse2 = op2b.Pt.Y > op2.Pt.Y || !ClipperLib4.ClipperBase.SlopesEqual4(op2.Pt, op2b.Pt, j.OffPt, this.m_UseFullRange);
          if (Reverse2) {
            op2b = op2.Prev;
            while (ClipperLib4.IntPoint.op_Equality(op2b.Pt, op2.Pt) && op2b !== op2)
              op2b = op2b.Prev;
            if (op2b.Pt.Y > op2.Pt.Y || !ClipperLib4.ClipperBase.SlopesEqual4(op2.Pt, op2b.Pt, j.OffPt, this.m_UseFullRange))
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
      ClipperLib4.Clipper.GetBounds = function(paths) {
        var i = 0, cnt = paths.length;
        while (i < cnt && paths[i].length === 0) i++;
        if (i === cnt) return new ClipperLib4.IntRect(0, 0, 0, 0);
        var result = new ClipperLib4.IntRect();
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
      ClipperLib4.Clipper.prototype.GetBounds2 = function(ops) {
        var opStart = ops;
        var result = new ClipperLib4.IntRect();
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
      ClipperLib4.Clipper.PointInPolygon = function(pt, path) {
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
      ClipperLib4.Clipper.prototype.PointInPolygon = function(pt, op) {
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
      ClipperLib4.Clipper.prototype.Poly2ContainsPoly1 = function(outPt1, outPt2) {
        var op = outPt1;
        do {
          var res = this.PointInPolygon(op.Pt, outPt2);
          if (res >= 0)
            return res > 0;
          op = op.Next;
        } while (op !== outPt1);
        return true;
      };
      ClipperLib4.Clipper.prototype.FixupFirstLefts1 = function(OldOutRec, NewOutRec) {
        var outRec, firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          firstLeft = ClipperLib4.Clipper.ParseFirstLeft(outRec.FirstLeft);
          if (outRec.Pts !== null && firstLeft === OldOutRec) {
            if (this.Poly2ContainsPoly1(outRec.Pts, NewOutRec.Pts))
              outRec.FirstLeft = NewOutRec;
          }
        }
      };
      ClipperLib4.Clipper.prototype.FixupFirstLefts2 = function(innerOutRec, outerOutRec) {
        var orfl = outerOutRec.FirstLeft;
        var outRec, firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          if (outRec.Pts === null || outRec === outerOutRec || outRec === innerOutRec)
            continue;
          firstLeft = ClipperLib4.Clipper.ParseFirstLeft(outRec.FirstLeft);
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
      ClipperLib4.Clipper.prototype.FixupFirstLefts3 = function(OldOutRec, NewOutRec) {
        var outRec;
        var firstLeft;
        for (var i = 0, ilen = this.m_PolyOuts.length; i < ilen; i++) {
          outRec = this.m_PolyOuts[i];
          firstLeft = ClipperLib4.Clipper.ParseFirstLeft(outRec.FirstLeft);
          if (outRec.Pts !== null && firstLeft === OldOutRec)
            outRec.FirstLeft = NewOutRec;
        }
      };
      ClipperLib4.Clipper.ParseFirstLeft = function(FirstLeft) {
        while (FirstLeft !== null && FirstLeft.Pts === null)
          FirstLeft = FirstLeft.FirstLeft;
        return FirstLeft;
      };
      ClipperLib4.Clipper.prototype.JoinCommonEdges = function() {
        for (var i = 0, ilen = this.m_Joins.length; i < ilen; i++) {
          var join4 = this.m_Joins[i];
          var outRec1 = this.GetOutRec(join4.OutPt1.Idx);
          var outRec2 = this.GetOutRec(join4.OutPt2.Idx);
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
          if (!this.JoinPoints(join4, outRec1, outRec2)) continue;
          if (outRec1 === outRec2) {
            outRec1.Pts = join4.OutPt1;
            outRec1.BottomPt = null;
            outRec2 = this.CreateOutRec();
            outRec2.Pts = join4.OutPt2;
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
      ClipperLib4.Clipper.prototype.UpdateOutPtIdxs = function(outrec) {
        var op = outrec.Pts;
        do {
          op.Idx = outrec.Idx;
          op = op.Prev;
        } while (op !== outrec.Pts);
      };
      ClipperLib4.Clipper.prototype.DoSimplePolygons = function() {
        var i = 0;
        while (i < this.m_PolyOuts.length) {
          var outrec = this.m_PolyOuts[i++];
          var op = outrec.Pts;
          if (op === null || outrec.IsOpen)
            continue;
          do {
            var op2 = op.Next;
            while (op2 !== outrec.Pts) {
              if (ClipperLib4.IntPoint.op_Equality(op.Pt, op2.Pt) && op2.Next !== op && op2.Prev !== op) {
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
      ClipperLib4.Clipper.Area = function(poly) {
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
      ClipperLib4.Clipper.prototype.Area = function(op) {
        var opFirst = op;
        if (op === null) return 0;
        var a = 0;
        do {
          a = a + (op.Prev.Pt.X + op.Pt.X) * (op.Prev.Pt.Y - op.Pt.Y);
          op = op.Next;
        } while (op !== opFirst);
        return a * 0.5;
      };
      ClipperLib4.Clipper.prototype.Area$1 = function(outRec) {
        return this.Area(outRec.Pts);
      };
      ClipperLib4.Clipper.SimplifyPolygon = function(poly, fillType) {
        var result = new Array();
        var c = new ClipperLib4.Clipper(0);
        c.StrictlySimple = true;
        c.AddPath(poly, ClipperLib4.PolyType.ptSubject, true);
        c.Execute(ClipperLib4.ClipType.ctUnion, result, fillType, fillType);
        return result;
      };
      ClipperLib4.Clipper.SimplifyPolygons = function(polys, fillType) {
        if (typeof fillType === "undefined") fillType = ClipperLib4.PolyFillType.pftEvenOdd;
        var result = new Array();
        var c = new ClipperLib4.Clipper(0);
        c.StrictlySimple = true;
        c.AddPaths(polys, ClipperLib4.PolyType.ptSubject, true);
        c.Execute(ClipperLib4.ClipType.ctUnion, result, fillType, fillType);
        return result;
      };
      ClipperLib4.Clipper.DistanceSqrd = function(pt1, pt2) {
        var dx = pt1.X - pt2.X;
        var dy = pt1.Y - pt2.Y;
        return dx * dx + dy * dy;
      };
      ClipperLib4.Clipper.DistanceFromLineSqrd = function(pt, ln1, ln2) {
        var A = ln1.Y - ln2.Y;
        var B = ln2.X - ln1.X;
        var C = A * ln1.X + B * ln1.Y;
        C = A * pt.X + B * pt.Y - C;
        return C * C / (A * A + B * B);
      };
      ClipperLib4.Clipper.SlopesNearCollinear = function(pt1, pt2, pt3, distSqrd) {
        if (Math.abs(pt1.X - pt2.X) > Math.abs(pt1.Y - pt2.Y)) {
          if (pt1.X > pt2.X === pt1.X < pt3.X)
            return ClipperLib4.Clipper.DistanceFromLineSqrd(pt1, pt2, pt3) < distSqrd;
          else if (pt2.X > pt1.X === pt2.X < pt3.X)
            return ClipperLib4.Clipper.DistanceFromLineSqrd(pt2, pt1, pt3) < distSqrd;
          else
            return ClipperLib4.Clipper.DistanceFromLineSqrd(pt3, pt1, pt2) < distSqrd;
        } else {
          if (pt1.Y > pt2.Y === pt1.Y < pt3.Y)
            return ClipperLib4.Clipper.DistanceFromLineSqrd(pt1, pt2, pt3) < distSqrd;
          else if (pt2.Y > pt1.Y === pt2.Y < pt3.Y)
            return ClipperLib4.Clipper.DistanceFromLineSqrd(pt2, pt1, pt3) < distSqrd;
          else
            return ClipperLib4.Clipper.DistanceFromLineSqrd(pt3, pt1, pt2) < distSqrd;
        }
      };
      ClipperLib4.Clipper.PointsAreClose = function(pt1, pt2, distSqrd) {
        var dx = pt1.X - pt2.X;
        var dy = pt1.Y - pt2.Y;
        return dx * dx + dy * dy <= distSqrd;
      };
      ClipperLib4.Clipper.ExcludeOp = function(op) {
        var result = op.Prev;
        result.Next = op.Next;
        op.Next.Prev = result;
        result.Idx = 0;
        return result;
      };
      ClipperLib4.Clipper.CleanPolygon = function(path, distance2) {
        if (typeof distance2 === "undefined") distance2 = 1.415;
        var cnt = path.length;
        if (cnt === 0)
          return new Array();
        var outPts = new Array(cnt);
        for (var i = 0; i < cnt; ++i)
          outPts[i] = new ClipperLib4.OutPt();
        for (var i = 0; i < cnt; ++i) {
          outPts[i].Pt = path[i];
          outPts[i].Next = outPts[(i + 1) % cnt];
          outPts[i].Next.Prev = outPts[i];
          outPts[i].Idx = 0;
        }
        var distSqrd = distance2 * distance2;
        var op = outPts[0];
        while (op.Idx === 0 && op.Next !== op.Prev) {
          if (ClipperLib4.Clipper.PointsAreClose(op.Pt, op.Prev.Pt, distSqrd)) {
            op = ClipperLib4.Clipper.ExcludeOp(op);
            cnt--;
          } else if (ClipperLib4.Clipper.PointsAreClose(op.Prev.Pt, op.Next.Pt, distSqrd)) {
            ClipperLib4.Clipper.ExcludeOp(op.Next);
            op = ClipperLib4.Clipper.ExcludeOp(op);
            cnt -= 2;
          } else if (ClipperLib4.Clipper.SlopesNearCollinear(op.Prev.Pt, op.Pt, op.Next.Pt, distSqrd)) {
            op = ClipperLib4.Clipper.ExcludeOp(op);
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
          result[i] = new ClipperLib4.IntPoint1(op.Pt);
          op = op.Next;
        }
        outPts = null;
        return result;
      };
      ClipperLib4.Clipper.CleanPolygons = function(polys, distance2) {
        var result = new Array(polys.length);
        for (var i = 0, ilen = polys.length; i < ilen; i++)
          result[i] = ClipperLib4.Clipper.CleanPolygon(polys[i], distance2);
        return result;
      };
      ClipperLib4.Clipper.Minkowski = function(pattern, path, IsSum, IsClosed) {
        var delta = IsClosed ? 1 : 0;
        var polyCnt = pattern.length;
        var pathCnt = path.length;
        var result = new Array();
        if (IsSum)
          for (var i = 0; i < pathCnt; i++) {
            var p = new Array(polyCnt);
            for (var j = 0, jlen = pattern.length, ip = pattern[j]; j < jlen; j++, ip = pattern[j])
              p[j] = new ClipperLib4.IntPoint2(path[i].X + ip.X, path[i].Y + ip.Y);
            result.push(p);
          }
        else
          for (var i = 0; i < pathCnt; i++) {
            var p = new Array(polyCnt);
            for (var j = 0, jlen = pattern.length, ip = pattern[j]; j < jlen; j++, ip = pattern[j])
              p[j] = new ClipperLib4.IntPoint2(path[i].X - ip.X, path[i].Y - ip.Y);
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
            if (!ClipperLib4.Clipper.Orientation(quad))
              quad.reverse();
            quads.push(quad);
          }
        return quads;
      };
      ClipperLib4.Clipper.MinkowskiSum = function(pattern, path_or_paths, pathIsClosed) {
        if (!(path_or_paths[0] instanceof Array)) {
          var path = path_or_paths;
          var paths = ClipperLib4.Clipper.Minkowski(pattern, path, true, pathIsClosed);
          var c = new ClipperLib4.Clipper();
          c.AddPaths(paths, ClipperLib4.PolyType.ptSubject, true);
          c.Execute(ClipperLib4.ClipType.ctUnion, paths, ClipperLib4.PolyFillType.pftNonZero, ClipperLib4.PolyFillType.pftNonZero);
          return paths;
        } else {
          var paths = path_or_paths;
          var solution = new ClipperLib4.Paths();
          var c = new ClipperLib4.Clipper();
          for (var i = 0; i < paths.length; ++i) {
            var tmp = ClipperLib4.Clipper.Minkowski(pattern, paths[i], true, pathIsClosed);
            c.AddPaths(tmp, ClipperLib4.PolyType.ptSubject, true);
            if (pathIsClosed) {
              var path = ClipperLib4.Clipper.TranslatePath(paths[i], pattern[0]);
              c.AddPath(path, ClipperLib4.PolyType.ptClip, true);
            }
          }
          c.Execute(
            ClipperLib4.ClipType.ctUnion,
            solution,
            ClipperLib4.PolyFillType.pftNonZero,
            ClipperLib4.PolyFillType.pftNonZero
          );
          return solution;
        }
      };
      ClipperLib4.Clipper.TranslatePath = function(path, delta) {
        var outPath = new ClipperLib4.Path();
        for (var i = 0; i < path.length; i++)
          outPath.push(new ClipperLib4.IntPoint2(path[i].X + delta.X, path[i].Y + delta.Y));
        return outPath;
      };
      ClipperLib4.Clipper.MinkowskiDiff = function(poly1, poly2) {
        var paths = ClipperLib4.Clipper.Minkowski(poly1, poly2, false, true);
        var c = new ClipperLib4.Clipper();
        c.AddPaths(paths, ClipperLib4.PolyType.ptSubject, true);
        c.Execute(ClipperLib4.ClipType.ctUnion, paths, ClipperLib4.PolyFillType.pftNonZero, ClipperLib4.PolyFillType.pftNonZero);
        return paths;
      };
      ClipperLib4.Clipper.PolyTreeToPaths = function(polytree) {
        var result = new Array();
        ClipperLib4.Clipper.AddPolyNodeToPaths(polytree, ClipperLib4.Clipper.NodeType.ntAny, result);
        return result;
      };
      ClipperLib4.Clipper.AddPolyNodeToPaths = function(polynode, nt, paths) {
        var match = true;
        switch (nt) {
          case ClipperLib4.Clipper.NodeType.ntOpen:
            return;
          case ClipperLib4.Clipper.NodeType.ntClosed:
            match = !polynode.IsOpen;
            break;
          default:
            break;
        }
        if (polynode.m_polygon.length > 0 && match)
          paths.push(polynode.m_polygon);
        for (var $i3 = 0, $t3 = polynode.Childs(), $l3 = $t3.length, pn = $t3[$i3]; $i3 < $l3; $i3++, pn = $t3[$i3])
          ClipperLib4.Clipper.AddPolyNodeToPaths(pn, nt, paths);
      };
      ClipperLib4.Clipper.OpenPathsFromPolyTree = function(polytree) {
        var result = new ClipperLib4.Paths();
        for (var i = 0, ilen = polytree.ChildCount(); i < ilen; i++)
          if (polytree.Childs()[i].IsOpen)
            result.push(polytree.Childs()[i].m_polygon);
        return result;
      };
      ClipperLib4.Clipper.ClosedPathsFromPolyTree = function(polytree) {
        var result = new ClipperLib4.Paths();
        ClipperLib4.Clipper.AddPolyNodeToPaths(polytree, ClipperLib4.Clipper.NodeType.ntClosed, result);
        return result;
      };
      Inherit(ClipperLib4.Clipper, ClipperLib4.ClipperBase);
      ClipperLib4.Clipper.NodeType = {
        ntAny: 0,
        ntOpen: 1,
        ntClosed: 2
      };
      ClipperLib4.ClipperOffset = function(miterLimit, arcTolerance) {
        if (typeof miterLimit === "undefined") miterLimit = 2;
        if (typeof arcTolerance === "undefined") arcTolerance = ClipperLib4.ClipperOffset.def_arc_tolerance;
        this.m_destPolys = new ClipperLib4.Paths();
        this.m_srcPoly = new ClipperLib4.Path();
        this.m_destPoly = new ClipperLib4.Path();
        this.m_normals = new Array();
        this.m_delta = 0;
        this.m_sinA = 0;
        this.m_sin = 0;
        this.m_cos = 0;
        this.m_miterLim = 0;
        this.m_StepsPerRad = 0;
        this.m_lowest = new ClipperLib4.IntPoint0();
        this.m_polyNodes = new ClipperLib4.PolyNode();
        this.MiterLimit = miterLimit;
        this.ArcTolerance = arcTolerance;
        this.m_lowest.X = -1;
      };
      ClipperLib4.ClipperOffset.two_pi = 6.28318530717959;
      ClipperLib4.ClipperOffset.def_arc_tolerance = 0.25;
      ClipperLib4.ClipperOffset.prototype.Clear = function() {
        ClipperLib4.Clear(this.m_polyNodes.Childs());
        this.m_lowest.X = -1;
      };
      ClipperLib4.ClipperOffset.Round = ClipperLib4.Clipper.Round;
      ClipperLib4.ClipperOffset.prototype.AddPath = function(path, joinType, endType) {
        var highI = path.length - 1;
        if (highI < 0)
          return;
        var newNode = new ClipperLib4.PolyNode();
        newNode.m_jointype = joinType;
        newNode.m_endtype = endType;
        if (endType === ClipperLib4.EndType.etClosedLine || endType === ClipperLib4.EndType.etClosedPolygon)
          while (highI > 0 && ClipperLib4.IntPoint.op_Equality(path[0], path[highI]))
            highI--;
        newNode.m_polygon.push(path[0]);
        var j = 0, k = 0;
        for (var i = 1; i <= highI; i++)
          if (ClipperLib4.IntPoint.op_Inequality(newNode.m_polygon[j], path[i])) {
            j++;
            newNode.m_polygon.push(path[i]);
            if (path[i].Y > newNode.m_polygon[k].Y || path[i].Y === newNode.m_polygon[k].Y && path[i].X < newNode.m_polygon[k].X)
              k = j;
          }
        if (endType === ClipperLib4.EndType.etClosedPolygon && j < 2) return;
        this.m_polyNodes.AddChild(newNode);
        if (endType !== ClipperLib4.EndType.etClosedPolygon)
          return;
        if (this.m_lowest.X < 0)
          this.m_lowest = new ClipperLib4.IntPoint2(this.m_polyNodes.ChildCount() - 1, k);
        else {
          var ip = this.m_polyNodes.Childs()[this.m_lowest.X].m_polygon[this.m_lowest.Y];
          if (newNode.m_polygon[k].Y > ip.Y || newNode.m_polygon[k].Y === ip.Y && newNode.m_polygon[k].X < ip.X)
            this.m_lowest = new ClipperLib4.IntPoint2(this.m_polyNodes.ChildCount() - 1, k);
        }
      };
      ClipperLib4.ClipperOffset.prototype.AddPaths = function(paths, joinType, endType) {
        for (var i = 0, ilen = paths.length; i < ilen; i++)
          this.AddPath(paths[i], joinType, endType);
      };
      ClipperLib4.ClipperOffset.prototype.FixOrientations = function() {
        if (this.m_lowest.X >= 0 && !ClipperLib4.Clipper.Orientation(this.m_polyNodes.Childs()[this.m_lowest.X].m_polygon)) {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib4.EndType.etClosedPolygon || node.m_endtype === ClipperLib4.EndType.etClosedLine && ClipperLib4.Clipper.Orientation(node.m_polygon))
              node.m_polygon.reverse();
          }
        } else {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib4.EndType.etClosedLine && !ClipperLib4.Clipper.Orientation(node.m_polygon))
              node.m_polygon.reverse();
          }
        }
      };
      ClipperLib4.ClipperOffset.GetUnitNormal = function(pt1, pt2) {
        var dx = pt2.X - pt1.X;
        var dy = pt2.Y - pt1.Y;
        if (dx === 0 && dy === 0)
          return new ClipperLib4.DoublePoint2(0, 0);
        var f = 1 / Math.sqrt(dx * dx + dy * dy);
        dx *= f;
        dy *= f;
        return new ClipperLib4.DoublePoint2(dy, -dx);
      };
      ClipperLib4.ClipperOffset.prototype.DoOffset = function(delta) {
        this.m_destPolys = new Array();
        this.m_delta = delta;
        if (ClipperLib4.ClipperBase.near_zero(delta)) {
          for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
            var node = this.m_polyNodes.Childs()[i];
            if (node.m_endtype === ClipperLib4.EndType.etClosedPolygon)
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
          y = ClipperLib4.ClipperOffset.def_arc_tolerance;
        else if (this.ArcTolerance > Math.abs(delta) * ClipperLib4.ClipperOffset.def_arc_tolerance)
          y = Math.abs(delta) * ClipperLib4.ClipperOffset.def_arc_tolerance;
        else
          y = this.ArcTolerance;
        var steps = 3.14159265358979 / Math.acos(1 - y / Math.abs(delta));
        this.m_sin = Math.sin(ClipperLib4.ClipperOffset.two_pi / steps);
        this.m_cos = Math.cos(ClipperLib4.ClipperOffset.two_pi / steps);
        this.m_StepsPerRad = steps / ClipperLib4.ClipperOffset.two_pi;
        if (delta < 0)
          this.m_sin = -this.m_sin;
        for (var i = 0; i < this.m_polyNodes.ChildCount(); i++) {
          var node = this.m_polyNodes.Childs()[i];
          this.m_srcPoly = node.m_polygon;
          var len = this.m_srcPoly.length;
          if (len === 0 || delta <= 0 && (len < 3 || node.m_endtype !== ClipperLib4.EndType.etClosedPolygon))
            continue;
          this.m_destPoly = new Array();
          if (len === 1) {
            if (node.m_jointype === ClipperLib4.JoinType.jtRound) {
              var X = 1, Y = 0;
              for (var j = 1; j <= steps; j++) {
                this.m_destPoly.push(new ClipperLib4.IntPoint2(ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].X + X * delta), ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].Y + Y * delta)));
                var X2 = X;
                X = X * this.m_cos - this.m_sin * Y;
                Y = X2 * this.m_sin + Y * this.m_cos;
              }
            } else {
              var X = -1, Y = -1;
              for (var j = 0; j < 4; ++j) {
                this.m_destPoly.push(new ClipperLib4.IntPoint2(ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].X + X * delta), ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].Y + Y * delta)));
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
            this.m_normals.push(ClipperLib4.ClipperOffset.GetUnitNormal(this.m_srcPoly[j], this.m_srcPoly[j + 1]));
          if (node.m_endtype === ClipperLib4.EndType.etClosedLine || node.m_endtype === ClipperLib4.EndType.etClosedPolygon)
            this.m_normals.push(ClipperLib4.ClipperOffset.GetUnitNormal(this.m_srcPoly[len - 1], this.m_srcPoly[0]));
          else
            this.m_normals.push(new ClipperLib4.DoublePoint1(this.m_normals[len - 2]));
          if (node.m_endtype === ClipperLib4.EndType.etClosedPolygon) {
            var k = len - 1;
            for (var j = 0; j < len; j++)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
          } else if (node.m_endtype === ClipperLib4.EndType.etClosedLine) {
            var k = len - 1;
            for (var j = 0; j < len; j++)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
            this.m_destPoly = new Array();
            var n = this.m_normals[len - 1];
            for (var j = len - 1; j > 0; j--)
              this.m_normals[j] = new ClipperLib4.DoublePoint2(-this.m_normals[j - 1].X, -this.m_normals[j - 1].Y);
            this.m_normals[0] = new ClipperLib4.DoublePoint2(-n.X, -n.Y);
            k = 0;
            for (var j = len - 1; j >= 0; j--)
              k = this.OffsetPoint(j, k, node.m_jointype);
            this.m_destPolys.push(this.m_destPoly);
          } else {
            var k = 0;
            for (var j = 1; j < len - 1; ++j)
              k = this.OffsetPoint(j, k, node.m_jointype);
            var pt1;
            if (node.m_endtype === ClipperLib4.EndType.etOpenButt) {
              var j = len - 1;
              pt1 = new ClipperLib4.IntPoint2(ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * delta), ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * delta));
              this.m_destPoly.push(pt1);
              pt1 = new ClipperLib4.IntPoint2(ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X - this.m_normals[j].X * delta), ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y - this.m_normals[j].Y * delta));
              this.m_destPoly.push(pt1);
            } else {
              var j = len - 1;
              k = len - 2;
              this.m_sinA = 0;
              this.m_normals[j] = new ClipperLib4.DoublePoint2(-this.m_normals[j].X, -this.m_normals[j].Y);
              if (node.m_endtype === ClipperLib4.EndType.etOpenSquare)
                this.DoSquare(j, k);
              else
                this.DoRound(j, k);
            }
            for (var j = len - 1; j > 0; j--)
              this.m_normals[j] = new ClipperLib4.DoublePoint2(-this.m_normals[j - 1].X, -this.m_normals[j - 1].Y);
            this.m_normals[0] = new ClipperLib4.DoublePoint2(-this.m_normals[1].X, -this.m_normals[1].Y);
            k = len - 1;
            for (var j = k - 1; j > 0; --j)
              k = this.OffsetPoint(j, k, node.m_jointype);
            if (node.m_endtype === ClipperLib4.EndType.etOpenButt) {
              pt1 = new ClipperLib4.IntPoint2(ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].X - this.m_normals[0].X * delta), ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].Y - this.m_normals[0].Y * delta));
              this.m_destPoly.push(pt1);
              pt1 = new ClipperLib4.IntPoint2(ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].X + this.m_normals[0].X * delta), ClipperLib4.ClipperOffset.Round(this.m_srcPoly[0].Y + this.m_normals[0].Y * delta));
              this.m_destPoly.push(pt1);
            } else {
              k = 1;
              this.m_sinA = 0;
              if (node.m_endtype === ClipperLib4.EndType.etOpenSquare)
                this.DoSquare(0, 1);
              else
                this.DoRound(0, 1);
            }
            this.m_destPolys.push(this.m_destPoly);
          }
        }
      };
      ClipperLib4.ClipperOffset.prototype.Execute = function() {
        var a = arguments, ispolytree = a[0] instanceof ClipperLib4.PolyTree;
        if (!ispolytree) {
          var solution = a[0], delta = a[1];
          ClipperLib4.Clear(solution);
          this.FixOrientations();
          this.DoOffset(delta);
          var clpr = new ClipperLib4.Clipper(0);
          clpr.AddPaths(this.m_destPolys, ClipperLib4.PolyType.ptSubject, true);
          if (delta > 0) {
            clpr.Execute(ClipperLib4.ClipType.ctUnion, solution, ClipperLib4.PolyFillType.pftPositive, ClipperLib4.PolyFillType.pftPositive);
          } else {
            var r = ClipperLib4.Clipper.GetBounds(this.m_destPolys);
            var outer = new ClipperLib4.Path();
            outer.push(new ClipperLib4.IntPoint2(r.left - 10, r.bottom + 10));
            outer.push(new ClipperLib4.IntPoint2(r.right + 10, r.bottom + 10));
            outer.push(new ClipperLib4.IntPoint2(r.right + 10, r.top - 10));
            outer.push(new ClipperLib4.IntPoint2(r.left - 10, r.top - 10));
            clpr.AddPath(outer, ClipperLib4.PolyType.ptSubject, true);
            clpr.ReverseSolution = true;
            clpr.Execute(ClipperLib4.ClipType.ctUnion, solution, ClipperLib4.PolyFillType.pftNegative, ClipperLib4.PolyFillType.pftNegative);
            if (solution.length > 0)
              solution.splice(0, 1);
          }
        } else {
          var solution = a[0], delta = a[1];
          solution.Clear();
          this.FixOrientations();
          this.DoOffset(delta);
          var clpr = new ClipperLib4.Clipper(0);
          clpr.AddPaths(this.m_destPolys, ClipperLib4.PolyType.ptSubject, true);
          if (delta > 0) {
            clpr.Execute(ClipperLib4.ClipType.ctUnion, solution, ClipperLib4.PolyFillType.pftPositive, ClipperLib4.PolyFillType.pftPositive);
          } else {
            var r = ClipperLib4.Clipper.GetBounds(this.m_destPolys);
            var outer = new ClipperLib4.Path();
            outer.push(new ClipperLib4.IntPoint2(r.left - 10, r.bottom + 10));
            outer.push(new ClipperLib4.IntPoint2(r.right + 10, r.bottom + 10));
            outer.push(new ClipperLib4.IntPoint2(r.right + 10, r.top - 10));
            outer.push(new ClipperLib4.IntPoint2(r.left - 10, r.top - 10));
            clpr.AddPath(outer, ClipperLib4.PolyType.ptSubject, true);
            clpr.ReverseSolution = true;
            clpr.Execute(ClipperLib4.ClipType.ctUnion, solution, ClipperLib4.PolyFillType.pftNegative, ClipperLib4.PolyFillType.pftNegative);
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
      ClipperLib4.ClipperOffset.prototype.OffsetPoint = function(j, k, jointype) {
        this.m_sinA = this.m_normals[k].X * this.m_normals[j].Y - this.m_normals[j].X * this.m_normals[k].Y;
        if (Math.abs(this.m_sinA * this.m_delta) < 1) {
          var cosA = this.m_normals[k].X * this.m_normals[j].X + this.m_normals[j].Y * this.m_normals[k].Y;
          if (cosA > 0) {
            this.m_destPoly.push(new ClipperLib4.IntPoint2(
              ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[k].X * this.m_delta),
              ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[k].Y * this.m_delta)
            ));
            return k;
          }
        } else if (this.m_sinA > 1)
          this.m_sinA = 1;
        else if (this.m_sinA < -1)
          this.m_sinA = -1;
        if (this.m_sinA * this.m_delta < 0) {
          this.m_destPoly.push(new ClipperLib4.IntPoint2(
            ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[k].X * this.m_delta),
            ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[k].Y * this.m_delta)
          ));
          this.m_destPoly.push(new ClipperLib4.IntPoint1(this.m_srcPoly[j]));
          this.m_destPoly.push(new ClipperLib4.IntPoint2(
            ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * this.m_delta),
            ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * this.m_delta)
          ));
        } else
          switch (jointype) {
            case ClipperLib4.JoinType.jtMiter: {
              var r = 1 + (this.m_normals[j].X * this.m_normals[k].X + this.m_normals[j].Y * this.m_normals[k].Y);
              if (r >= this.m_miterLim)
                this.DoMiter(j, k, r);
              else
                this.DoSquare(j, k);
              break;
            }
            case ClipperLib4.JoinType.jtSquare:
              this.DoSquare(j, k);
              break;
            case ClipperLib4.JoinType.jtRound:
              this.DoRound(j, k);
              break;
          }
        k = j;
        return k;
      };
      ClipperLib4.ClipperOffset.prototype.DoSquare = function(j, k) {
        var dx = Math.tan(Math.atan2(
          this.m_sinA,
          this.m_normals[k].X * this.m_normals[j].X + this.m_normals[k].Y * this.m_normals[j].Y
        ) / 4);
        this.m_destPoly.push(new ClipperLib4.IntPoint2(
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_delta * (this.m_normals[k].X - this.m_normals[k].Y * dx)),
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_delta * (this.m_normals[k].Y + this.m_normals[k].X * dx))
        ));
        this.m_destPoly.push(new ClipperLib4.IntPoint2(
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_delta * (this.m_normals[j].X + this.m_normals[j].Y * dx)),
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_delta * (this.m_normals[j].Y - this.m_normals[j].X * dx))
        ));
      };
      ClipperLib4.ClipperOffset.prototype.DoMiter = function(j, k, r) {
        var q = this.m_delta / r;
        this.m_destPoly.push(new ClipperLib4.IntPoint2(
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + (this.m_normals[k].X + this.m_normals[j].X) * q),
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + (this.m_normals[k].Y + this.m_normals[j].Y) * q)
        ));
      };
      ClipperLib4.ClipperOffset.prototype.DoRound = function(j, k) {
        var a = Math.atan2(
          this.m_sinA,
          this.m_normals[k].X * this.m_normals[j].X + this.m_normals[k].Y * this.m_normals[j].Y
        );
        var steps = Math.max(ClipperLib4.Cast_Int32(ClipperLib4.ClipperOffset.Round(this.m_StepsPerRad * Math.abs(a))), 1);
        var X = this.m_normals[k].X, Y = this.m_normals[k].Y, X2;
        for (var i = 0; i < steps; ++i) {
          this.m_destPoly.push(new ClipperLib4.IntPoint2(
            ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + X * this.m_delta),
            ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + Y * this.m_delta)
          ));
          X2 = X;
          X = X * this.m_cos - this.m_sin * Y;
          Y = X2 * this.m_sin + Y * this.m_cos;
        }
        this.m_destPoly.push(new ClipperLib4.IntPoint2(
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].X + this.m_normals[j].X * this.m_delta),
          ClipperLib4.ClipperOffset.Round(this.m_srcPoly[j].Y + this.m_normals[j].Y * this.m_delta)
        ));
      };
      ClipperLib4.Error = function(message) {
        try {
          throw new Error(message);
        } catch (err) {
          alert(err.message);
        }
      };
      ClipperLib4.JS = {};
      ClipperLib4.JS.AreaOfPolygon = function(poly, scale) {
        if (!scale) scale = 1;
        return ClipperLib4.Clipper.Area(poly) / (scale * scale);
      };
      ClipperLib4.JS.AreaOfPolygons = function(poly, scale) {
        if (!scale) scale = 1;
        var area = 0;
        for (var i = 0; i < poly.length; i++) {
          area += ClipperLib4.Clipper.Area(poly[i]);
        }
        return area / (scale * scale);
      };
      ClipperLib4.JS.BoundsOfPath = function(path, scale) {
        return ClipperLib4.JS.BoundsOfPaths([path], scale);
      };
      ClipperLib4.JS.BoundsOfPaths = function(paths, scale) {
        if (!scale) scale = 1;
        var bounds = ClipperLib4.Clipper.GetBounds(paths);
        bounds.left /= scale;
        bounds.bottom /= scale;
        bounds.right /= scale;
        bounds.top /= scale;
        return bounds;
      };
      ClipperLib4.JS.Clean = function(polygon, delta) {
        if (!(polygon instanceof Array)) return [];
        var isPolygons = polygon[0] instanceof Array;
        var polygon = ClipperLib4.JS.Clone(polygon);
        if (typeof delta !== "number" || delta === null) {
          ClipperLib4.Error("Delta is not a number in Clean().");
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
      ClipperLib4.JS.Clone = function(polygon) {
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
      ClipperLib4.JS.Lighten = function(polygon, tolerance) {
        if (!(polygon instanceof Array)) return [];
        if (typeof tolerance !== "number" || tolerance === null) {
          ClipperLib4.Error("Tolerance is not a number in Lighten().");
          return ClipperLib4.JS.Clone(polygon);
        }
        if (polygon.length === 0 || polygon.length === 1 && polygon[0].length === 0 || tolerance < 0) {
          return ClipperLib4.JS.Clone(polygon);
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
      ClipperLib4.JS.PerimeterOfPath = function(path, closed, scale) {
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
      ClipperLib4.JS.PerimeterOfPaths = function(paths, closed, scale) {
        if (!scale) scale = 1;
        var perimeter = 0;
        for (var i = 0; i < paths.length; i++) {
          perimeter += ClipperLib4.JS.PerimeterOfPath(paths[i], closed, scale);
        }
        return perimeter;
      };
      ClipperLib4.JS.ScaleDownPath = function(path, scale) {
        var i, p;
        if (!scale) scale = 1;
        i = path.length;
        while (i--) {
          p = path[i];
          p.X = p.X / scale;
          p.Y = p.Y / scale;
        }
      };
      ClipperLib4.JS.ScaleDownPaths = function(paths, scale) {
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
      ClipperLib4.JS.ScaleUpPath = function(path, scale) {
        var i, p, round = Math.round;
        if (!scale) scale = 1;
        i = path.length;
        while (i--) {
          p = path[i];
          p.X = round(p.X * scale);
          p.Y = round(p.Y * scale);
        }
      };
      ClipperLib4.JS.ScaleUpPaths = function(paths, scale) {
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
      ClipperLib4.ExPolygons = function() {
        return [];
      };
      ClipperLib4.ExPolygon = function() {
        this.outer = null;
        this.holes = null;
      };
      ClipperLib4.JS.AddOuterPolyNodeToExPolygons = function(polynode, expolygons) {
        var ep = new ClipperLib4.ExPolygon();
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
            ClipperLib4.JS.AddOuterPolyNodeToExPolygons(n, expolygons);
          }
        }
        expolygons.push(ep);
      };
      ClipperLib4.JS.ExPolygonsToPaths = function(expolygons) {
        var a, i, alen, ilen;
        var paths = new ClipperLib4.Paths();
        for (a = 0, alen = expolygons.length; a < alen; a++) {
          paths.push(expolygons[a].outer);
          for (i = 0, ilen = expolygons[a].holes.length; i < ilen; i++) {
            paths.push(expolygons[a].holes[i]);
          }
        }
        return paths;
      };
      ClipperLib4.JS.PolyTreeToExPolygons = function(polytree) {
        var expolygons = new ClipperLib4.ExPolygons();
        var node, i, childs, ilen;
        for (i = 0, childs = polytree.Childs(), ilen = childs.length; i < ilen; i++) {
          node = childs[i];
          ClipperLib4.JS.AddOuterPolyNodeToExPolygons(node, expolygons);
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

// src/cli/bench.ts
import { existsSync as existsSync2, readdirSync, readFileSync as readFileSync2 } from "node:fs";
import { join as join3 } from "node:path";
import { performance as performance2 } from "node:perf_hooks";

// src/core/cloth/cloth.ts
var TURN_ANGLES = { any: [0, 90, 180, 270], half: [0, 180], none: [0] };
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
function canShareAPhase(spans, lattice) {
  if (spans.some(({ from, to }) => to < from)) return false;
  if (lattice.across === 0) return true;
  return spans.some(
    (one) => spans.every(({ from, to, phase }) => missAcross({ from, to, phase: one.from - one.phase + phase }, lattice) === 0)
  );
}

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
var overlapChecks = (lies, what2) => ["stop", "warn"].map((level2) => ({
  code: "overlap-short",
  field: "overlap",
  level: level2,
  when: level2 === "stop" ? `${lies} <= inch(0)` : `${lies} > inch(0) && ${lies} < inch(3)`,
  message: `The ${what2} would overlap {${lies}}; {inch(3)} is the least that stays shut.`
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
].map(([name2, across]) => {
  const outline = outlineOf(across);
  return {
    name: name2,
    role: "skirt",
    qty: 2,
    when,
    across,
    along: "skirtHeight",
    ...outline && { outline },
    ...name2 === "long skirt" && {
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
var fromUnits = (value, units) => Math.round(value * NM[units]);
var toUnits = (length2, units) => length2 / NM[units];

// src/core/result.ts
var ok = (value) => ({ ok: true, value });
var refuse = (code, field, message) => ({
  ok: false,
  faults: [{ code, field, message }]
});

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
  add(name2, callback, first) {
    if (typeof arguments[0] != "string") {
      for (let name3 in arguments[0]) {
        this.add(name3, arguments[0][name3], arguments[1]);
      }
    } else {
      (Array.isArray(name2) ? name2 : [name2]).forEach(function(name3) {
        this[name3] = this[name3] || [];
        if (callback) {
          this[name3][first ? "unshift" : "push"](callback);
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
  run(name2, env) {
    this[name2] = this[name2] || [];
    this[name2].forEach(function(callback) {
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
  throwError(message) {
    const error = new Error(message + " at character " + this.index);
    error.index = this.index;
    error.description = message;
    throw error;
  }
  /**
   * Run a given hook
   * @param {string} name
   * @param {jsep.Expression|false} [node]
   * @returns {?jsep.Expression}
   */
  runHook(name2, node) {
    if (_Jsep.hooks[name2]) {
      const env = { context: this, node };
      _Jsep.hooks.run(name2, env);
      return env.node;
    }
    return node;
  }
  /**
   * Runs a given hook until one returns a node
   * @param {string} name
   * @returns {?jsep.Expression}
   */
  searchHook(name2) {
    if (_Jsep.hooks[name2]) {
      const env = { context: this };
      _Jsep.hooks[name2].find(function(callback) {
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
    let number3 = "", ch, chCode;
    while (_Jsep.isDecimalDigit(this.code)) {
      number3 += this.expr.charAt(this.index++);
    }
    if (this.code === _Jsep.PERIOD_CODE) {
      number3 += this.expr.charAt(this.index++);
      while (_Jsep.isDecimalDigit(this.code)) {
        number3 += this.expr.charAt(this.index++);
      }
    }
    ch = this.char;
    if (ch === "e" || ch === "E") {
      number3 += this.expr.charAt(this.index++);
      ch = this.char;
      if (ch === "+" || ch === "-") {
        number3 += this.expr.charAt(this.index++);
      }
      while (_Jsep.isDecimalDigit(this.code)) {
        number3 += this.expr.charAt(this.index++);
      }
      if (!_Jsep.isDecimalDigit(this.expr.charCodeAt(this.index - 1))) {
        this.throwError("Expected exponent (" + number3 + this.char + ")");
      }
    }
    chCode = this.code;
    if (_Jsep.isIdentifierStart(chCode)) {
      this.throwError("Variable names cannot start with a number (" + number3 + this.char + ")");
    } else if (chCode === _Jsep.PERIOD_CODE || number3.length === 1 && number3.charCodeAt(0) === _Jsep.PERIOD_CODE) {
      this.throwError("Unexpected period");
    }
    return {
      type: _Jsep.LITERAL,
      value: parseFloat(number3),
      raw: number3
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
  constructor(code, message) {
    super(message);
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
function look(name2, scope) {
  const value = scope.values.get(name2);
  if (value) return value;
  const known = scope.known.get(name2);
  if (known) return known;
  const inline = scope.inline.get(name2);
  if (inline) {
    const worked = evaluate(inline, scope);
    scope.known.set(name2, worked);
    return worked;
  }
  throw new FormulaError("unknown-name", `\u201C${name2}\u201D is not a measure, an option or a result of this kind.`);
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
  const name2 = callee.type === "Identifier" ? callee.name : "";
  if (!Object.hasOwn(FUNCTIONS, name2)) {
    throw new FormulaError(
      "unknown-function",
      `\u201C${name2 || "this"}\u201D is not a function; there are ${Object.keys(FUNCTIONS).join(", ")}.`
    );
  }
  const values = args.map((arg) => evaluate(arg, scope));
  if (values.length === 0 || !values.every(isQuantity)) {
    throw new FormulaError("kind-of-value", `\u201C${name2}\u201D needs lengths or numbers.`);
  }
  const takes = TAKES[name2] ?? 1;
  if (takes < Infinity && values.length !== takes)
    throw new FormulaError("kind-of-value", `\u201C${name2}\u201D takes ${takes === 1 ? "one value" : `${takes} values`}.`);
  return FUNCTIONS[name2](values, scope);
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
    const { name: name2 } = node;
    const inline = scope.inline.get(name2);
    if (inline) {
      const known = scope.shown.get(name2);
      if (known) return known;
      const whole2 = show(inline, scope, style);
      const shown3 = whole2.text.length <= LONGEST_SUM ? whole2 : { text: printValue(look(name2, scope), style), strength: ATOM };
      scope.shown.set(name2, shown3);
      return shown3;
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
  const turned3 = ring.map(([x, y]) => {
    if (turn2 === 90) return [-y, x];
    if (turn2 === 180) return [-x, -y];
    return turn2 === 270 ? [y, -x] : [x, y];
  });
  const [left, low] = [Math.min(...turned3.map(([x]) => x)), Math.min(...turned3.map(([, y]) => y))];
  return turned3.map(([x, y]) => [x - left, y - low]);
}
var SLABS = 96;
function boxesOutside(ring, left, right, length2) {
  const ys = ring.map(([, y]) => y);
  const top = Math.min(length2, Math.max(...ys));
  const bottom = Math.max(0, Math.min(...ys));
  const stops = stopsOf(ys, bottom, top);
  const boxes = [];
  if (bottom > 0) boxes.push([left, 0, right, bottom]);
  const far = length2 === Infinity ? top * 2 + 1 : length2;
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

// src/core/covers/outline.ts
function boxSize(ring) {
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
}
var perimeterOf = (ring) => Math.round(
  ring.reduce((sum2, [x, y], i) => {
    const [nextX, nextY] = ring[(i + 1) % ring.length];
    return sum2 + Math.hypot(nextX - x, nextY - y);
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
    const fault = (code, message) => [{ code, field: id, message }];
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
  for (const { name: name2, is, inline } of kind.results) {
    if (inline) {
      scope.inline.set(name2, compiled(is));
      continue;
    }
    sums.set(name2, say(is));
    scope.values.set(name2, evaluate(compiled(is), scope));
  }
  const sum2 = (formula) => sums.get(formula) ?? say(formula);
  const traced = input.outline ? tracedOutline(input.outline, size(kind.outline.allowance)) : null;
  const shifted = ([x, y], isTraceCut) => isTraceCut && traced ? [x + traced.shift[0], y + traced.shift[1]] : [x, y];
  const pieces = kind.pieces.filter(({ when, qty }) => holds(when) && (typeof qty === "number" || count(qty) > 0)).map(({ name: name2, role, qty, axes, across, along, outline, isTraced, match }) => {
    const isTraceCut = isTraced && traced !== null;
    const [wide, deep] = isTraceCut ? boxSize(traced.ring) : [size(across), size(along)];
    const reaching = (text2, plain, whole2) => whole2 > plain ? `${text2}; its corners reach ${printNumber(whole2, style).text}` : text2;
    return {
      name: name2,
      role,
      axes: axes ?? ["side to side", "up and down"],
      qty: typeof qty === "number" ? qty : count(qty),
      across: wide,
      along: deep,
      sum: [reaching(sum2(across), size(across), wide), reaching(sum2(along), size(along), deep)],
      ...outline && { outline: ring(outline) },
      ...isTraceCut && { outline: traced.ring },
      ...match && {
        match: { anchor: shifted(point(match.anchor), isTraceCut), delta: point(match.delta) }
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
    sum: [sum2(strip.width), sum2(strip.length)]
  }));
  const small = [
    ...pieces.map((one) => ({ ...one, sizes: [one.across, one.along] })),
    ...strips.map((one) => ({ ...one, sizes: [one.width, one.length] }))
  ];
  const faults = small.filter(({ sizes }) => !sizes.every((one) => one > 0 && one <= MOST_PART)).map(({ name: name2, sum: [a, b] }) => ({
    code: "piece-impossible",
    field: kind.measures[0].id,
    message: `The ${name2} can\u2019t be cut: ${a} by ${b}.`
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
  const notions = kind.notions.filter(({ when }) => holds(when)).map(({ name: name2, qty, length: long, note }) => ({
    name: name2,
    qty: count(qty),
    ...long && { length: size(long) },
    note: text(note)
  }));
  return ok({
    finished,
    pieces,
    strips,
    notions: notions.some(({ name: name2 }) => name2 === "thread") ? notions : [...notions, threadFor(pieces, strips, input.units)],
    inspections: inspectionsOf(kind, finished),
    seam: scope.values.has("seam") ? size("seam") : inches(1 / 2),
    steps: kind.steps.filter(({ when }) => holds(when)).map(({ do: what2, stitch, foot, caution }, i) => ({
      n: i + 1,
      do: text(what2),
      ...stitch && { stitch },
      ...foot && { foot },
      ...caution && { caution }
    })),
    warnings: kind.checks.filter(({ when }) => holds(when)).map(({ code, field, message, level: level2 }) => ({ code, field, message: text(message), level: level2 })),
    centre: kind.centre ? shifted(point(kind.centre), traced !== null) : null
  });
}
var THREAD_PART = 3;
function tracedOutline(form, allowance) {
  const [x, y] = overhang(form, allowance);
  return { ring: offsetOutline(form, allowance), shift: [x - allowance, y - allowance] };
}
function threadFor(pieces, strips, units) {
  const edges = pieces.reduce((sum2, { qty, across, along }) => sum2 + qty * (across + along), 0);
  const runs = strips.reduce((sum2, { qty, length: long }) => sum2 + qty * long, 0);
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
  return tape.flatMap(([what2, size, within2]) => size ? [{ what: what2, size, tolerance: within2 }] : []);
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
    turns.forEach((turn2, i) => values.set(`${option.id}Turn${i + 1}`, length(turn2)));
    values.set(option.id, length(turns.reduce((sum2, turn2) => sum2 + turn2, 0)));
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

// src/core/cutlist/cloth-slips.ts
var NATURAL = ["cotton", "linen", "wool", "silk", "leather", "mixed"];
var NO_HEM = ["vinyl", "leather", "neoprene", "fleece"];
function hemTurns({ line, kind }) {
  const option = kind.options.find(({ id, type }) => id === "hem" && type === "hem");
  if (option?.type !== "hem") return 0;
  const given = line.options.hem;
  const turns = given === void 0 ? option.default.length : [given].flat().length;
  return given !== void 0 && [given].flat().every((turn2) => turn2 === 0) ? 0 : turns;
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
      const { nature, name: name2 } = seen.clothOf("back") ?? seen.face;
      if (!nature || hemTurns(seen) === 0) return null;
      if (NO_HEM.includes(nature.fibre)) return `${name2} does not fray and is too thick to turn: write a hem of 0.`;
      return nature.weight === "heavy" && hemTurns(seen) > 1 ? `${name2} is too heavy to turn twice: write one turn.` : null;
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
      const first = cover.pieces.find(({ match }) => match);
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
      const laid2 = cover.pieces.find(
        ({ name: name2 }) => line.directions?.[name2] === "across" || line.panels?.[name2] === "sideways"
      );
      return laid2 && face.turns === "none" ? `${face.name} has a nap or an upright print: turned sideways, the ${laid2.name} shows it lying down.` : null;
    }
  }
];
function clothWarnings(line, kind, cover, clothOf, units) {
  const face = clothOf("face");
  if (!face) return [];
  const seen = { line, kind, cover, face, clothOf, say: (length2) => printLength(length2, STYLES[units]) };
  return SLIPS.flatMap(({ code, field, find }) => {
    const message = find(seen);
    return message ? [{ code, field: field.replace(/^options\./, ""), message, level: "warn" }] : [];
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
  const { across, along, axes, sum: sum2, outline, match, centre } = part;
  const point = ([x, y]) => [along - y, x];
  const vector = ([x, y]) => [0 - y, x];
  return {
    ...part,
    across: along,
    along: across,
    axes: [axes[1], axes[0]],
    sum: [sum2[1], sum2[0]],
    ...outline && { outline: outline.map(point) },
    ...match && { match: { anchor: point(match.anchor), delta: vector(match.delta) }, group: "sideways" },
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
function joinedParts(part, join4, seam, hasRepeat, units) {
  const n = (length2) => printNumber(length2, STYLES[units]).text;
  const { wholes, whole: whole2, side: side2 } = join4;
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
  return parts.reduce((sum2, { across, along, qty }) => {
    const rows = Math.ceil(qty / Math.max(1, Math.floor(usable / across)));
    return sum2 + rows * (repeat > 0 ? Math.ceil(along / repeat) * repeat : along);
  }, 0);
}

// src/core/cutlist/motif-places.ts
function spanOf({ across, match, centre }, cloth) {
  const from = cloth.selvage[0];
  const start = match.delta[0] - match.anchor[0];
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
    ({ match, centre, group, across }) => match && !centre && !group && across <= usableWidth(cloth)
  );
  if (!lattice || alike.length < 2 || canShareAPhase(alike.map((one) => spanOf(one, cloth)), lattice)) return null;
  const say = (length2) => printLength(length2, STYLES[units]);
  const widest2 = alike.reduce((most, one) => one.across > most.across ? one : most);
  return `The ${widest2.name}, ${say(widest2.across)} across, can\u2019t show the same piece of the pattern as the other parts on ${cloth.name}, ${say(usableWidth(cloth))} between its selvages. Cut it without matching, turn it sideways or take another cloth.`;
}

// src/core/cutlist/cut-list.ts
var MOST_COVERS = 1e4;
function cutList(lines, units, room = {}) {
  const list2 = { pieces: [], strips: [], notions: [], steps: [], inspections: [], warnings: [], wide: [] };
  const faults = [];
  for (const line of lines) {
    const found = addLine(list2, line, units, room);
    faults.push(...found.map((fault) => ({ ...fault, field: `${line.id}.${fault.field}` })));
  }
  return faults.length > 0 ? { ok: false, faults } : ok(list2);
}
function addLine(list2, line, units, { kinds = BUILT_IN, cloths }) {
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
  const before = list2.pieces.length;
  const clothOf = (role) => cloths?.get(clothFor(line, role).cloth);
  const id = { line: line.id };
  for (const part of partsOf(list2, line, cover, clothOf, units)) {
    list2.pieces.push(Object.assign(part, id, clothFor(line, part.role), { qty: part.qty * line.qty }));
  }
  const copies = list2.pieces.slice(before).reduce((sum2, { qty }) => sum2 + qty, 0) + cover.strips.reduce((sum2, { qty }) => sum2 + qty * line.qty, 0);
  if (copies > MOST_COVERS)
    return [
      {
        code: "copies",
        field: "qty",
        message: `${line.qty.toLocaleString("en")} of these are cut as ${copies.toLocaleString("en")} parts, and ${MOST_COVERS.toLocaleString("en")} are the most; divide them over several orders.`
      }
    ];
  for (const strip of cover.strips)
    list2.strips.push(Object.assign(strip, id, clothFor(line, strip.role), { qty: strip.qty * line.qty }));
  for (const notion of cover.notions) list2.notions.push(Object.assign(notion, id, { qty: notion.qty * line.qty }));
  for (const one of cover.inspections) list2.inspections.push(Object.assign(one, id));
  const ofCloth = clothSteps(clothOf("face"));
  ofCloth.forEach((step, i) => list2.steps.push({ ...step, ...id, n: i + 1 }));
  for (const step of cover.steps)
    list2.steps.push(Object.assign(stepOn(clothOf("face"), step), id, { n: ofCloth.length + step.n }));
  const slips = clothWarnings(line, kind, cover, (role) => clothOf(role), units);
  list2.warnings.push(...[...cover.warnings, ...slips].map((warning) => ({ ...id, ...warning })));
  return [];
}
function partsOf(list2, line, { pieces, centre, seam }, clothOf, units) {
  const isMatched = line.matching !== void 0 && line.matching !== "none";
  const first = pieces.find(({ match }) => match);
  const isTurned = (name2) => line.directions?.[name2] === "across";
  const parts = pieces.map(({ match, ...piece2 }) => {
    const part = piece2;
    if (isMatched && match) part.match = match;
    if (part.match && line.matching === "centred" && centre && isTurned(piece2.name) === isTurned(first.name))
      part.centre = [first.match.anchor[0] - centre[0], first.match.anchor[1] - centre[1]];
    const direction = line.directions?.[piece2.name];
    const laid2 = direction === "across" ? turned(part) : part;
    if (direction === "along" || direction === "across") laid2.isFixed = true;
    return laid2;
  });
  const onCloth = (cloth) => parts.filter(({ role }) => clothOf(role) === cloth);
  for (const cloth of new Set(parts.flatMap(({ role }) => clothOf(role) ?? []))) {
    const message = alikeMissed(onCloth(cloth), cloth, units);
    if (message)
      list2.warnings.push({ line: line.id, code: "motif-no-place", field: "matching", level: "stop", message });
  }
  return parts.flatMap((part) => {
    const cloth = clothOf(part.role);
    if (!cloth) return [part];
    if (missOfMotif(part, cloth) === 0) return fitted(list2, line, part, cloth, seam, units);
    const others = onCloth(cloth).filter(({ match, group }) => match && !group);
    return moved(list2, line, part, others, cloth, seam, units);
  });
}
function moved(list2, line, part, others, cloth, seam, units) {
  const usable = usableWidth(cloth);
  if (part.across > usable) return fitted(list2, line, part, cloth, seam, units);
  const joined = joinedParts(part, narrowJoin(part.across, seam, missOfMotif(part, cloth)), seam, true, units);
  const canJoin = joined.every((one) => missOfMotif(one, cloth) === 0);
  const chosen = canJoin && line.panels?.[part.name] === "join" ? "join" : null;
  if (canJoin) {
    const length2 = lengthOfCovers(joined, line.qty, cloth);
    list2.wide.push({
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
  const message = motifMissed(part, others, canJoin, cloth, units);
  list2.warnings.push({ line: line.id, code: "motif-no-place", field: "matching", level: "stop", message });
  return [part];
}
var lengthOfCovers = (parts, covers, cloth) => lengthInRows(
  parts.map((one) => ({ ...one, qty: one.qty * covers })),
  cloth
);
function fitted(list2, line, part, cloth, seam, units) {
  const usable = usableWidth(cloth);
  const join4 = joinOf(part.across, usable, seam);
  if (!join4) return [part];
  const joined = joinedParts(part, join4, seam, cloth.repeat !== null, units);
  const sideways = part.along <= usable ? { ...turned(part), isFixed: true } : null;
  const ways = [
    { way: "join", pieces: joined.length, length: lengthOfCovers(joined, line.qty, cloth) }
  ];
  if (sideways) ways.push({ way: "sideways", pieces: 1, length: lengthOfCovers([sideways], line.qty, cloth) });
  const usual = sideways && cloth.turns === "any" && !cloth.repeat ? "sideways" : "join";
  const wanted = line.panels?.[part.name] ?? usual;
  const chosen = wanted === "sideways" && sideways ? "sideways" : "join";
  list2.wide.push({
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
  list2.warnings.push({
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

// src/core/lay/format-names.ts
var JOB_FORMAT = "jolly-bolt/lay-job";
var FORMAT_VERSION = 1;

// src/core/lay/check.ts
var import_clipper_lib2 = __toESM(require_clipper(), 1);
var TOLERANCE = { in: 2540, mm: 2540 };
function findFaults(job2, plan) {
  const faults = [];
  const tolerance = TOLERANCE[job2.units];
  const fault = (kind, what2) => faults.push({ kind, what: what2 });
  const told = (length2) => `${Number(toUnits(length2, job2.units).toFixed(4))} ${job2.units}`;
  const pieces = new Map(job2.pieces.map((piece2) => [piece2.id, piece2]));
  const seen = /* @__PURE__ */ new Map();
  const phases = /* @__PURE__ */ new Map();
  const stripTotals = /* @__PURE__ */ new Map();
  let lastStock = -1;
  for (const lay of plan.lays) {
    const index = job2.stock.findIndex(({ id }) => id === lay.stock);
    if (index <= lastStock) fault("stock", `${lay.stock} is not in the job, or out of its order`);
    lastStock = Math.max(index, lastStock);
    const stock = job2.stock[index];
    if (!stock) continue;
    const items = [];
    for (const one of lay.placed) {
      const piece2 = pieces.get(one.piece);
      if (!piece2) {
        fault("copies", `${one.piece} is not a piece of the job`);
        continue;
      }
      const item = pieceItem(piece2, one, fault);
      items.push(item);
      seen.set(item.label, (seen.get(item.label) ?? 0) + 1);
      checkPhase(job2.lattice, stock, piece2, one, phases, tolerance, fault);
    }
    const cutCopies = /* @__PURE__ */ new Set();
    for (const cut of lay.cuts) {
      const strip = job2.strips.find(({ id }) => id === cut.strip);
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
    checkItems(job2, stock, items, tolerance, fault);
    const furthest2 = items.reduce((far, { box }) => Math.max(far, box[3]), 0);
    if (Math.abs(furthest2 - lay.used) > tolerance)
      fault("used", `${lay.stock}: ${told(lay.used)} is given, the furthest point is ${told(furthest2)}`);
  }
  for (const { stock, piece: piece2, copy, x, y, turn: turn2 } of job2.locked) {
    const placed = plan.lays.find((lay) => lay.stock === stock)?.placed ?? [];
    const there = placed.some(
      (one) => one.piece === piece2 && one.copy === copy && one.x === x && one.y === y && one.turn === turn2
    );
    if (!there) fault("locked", `${piece2} ${copy} is not where it is locked`);
  }
  for (const [key, { total, length: length2 }] of stripTotals) {
    if (total < length2 - tolerance) fault("strip", `${key} joins to ${told(total)}, not ${told(length2)}`);
    seen.set(key, (seen.get(key) ?? 0) + 1);
  }
  for (const one of plan.unplaced) {
    const key = "piece" in one ? `${one.piece} ${one.copy}` : `strip ${one.strip} ${one.copy}`;
    seen.set(key, (seen.get(key) ?? 0) + 1);
    if (!one.why) fault("copies", `${key} is unplaced without a reason`);
  }
  const wanted = [
    ...job2.pieces.flatMap(({ id, qty }) => copiesOf(id, qty)),
    ...job2.strips.flatMap(({ id, qty }) => copiesOf(`strip ${id}`, qty))
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
function pieceItem(one, { piece: piece2, copy, x, y, turn: turn2 }, fault) {
  if (!one.turns.includes(turn2)) fault("turn", `${piece2} ${copy} may not lie at turn ${turn2}`);
  const { width: w, height: h } = one;
  const corners = one.outline ?? [[0, 0], [w, 0], [w, h], [0, h]];
  const turned3 = corners.map(([cx, cy]) => {
    if (turn2 === 90) return [h - cy, cx];
    if (turn2 === 180) return [w - cx, h - cy];
    if (turn2 === 270) return [cy, w - cx];
    return [cx, cy];
  });
  return toItem(`${piece2} ${copy}`, turned3.map(([cx, cy]) => [x + cx, y + cy]));
}
function checkItems(job2, stock, items, tolerance, fault) {
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
      if (clippedArea(ring, stock.outline, import_clipper_lib2.default.ClipType.ctDifference) > tolerance * girth(ring))
        fault("outline", `${label} leaves the outline of ${stock.id}`);
    }
  }
  if (job2.straight) checkStraight(items, tolerance, fault);
  const sorted = [...items].sort((a, b) => a.box[1] - b.box[1]);
  sorted.forEach((one, i) => {
    for (let j = i + 1; j < sorted.length; j++) {
      const other = sorted[j];
      if (other.box[1] >= one.box[3] + job2.gap) break;
      if (other.box[0] >= one.box[2] + job2.gap || one.box[0] >= other.box[2] + job2.gap) continue;
      if (doOverlap(one.ring, other.ring, tolerance)) fault("overlap", `${one.label} and ${other.label} overlap`);
      else if (job2.gap > 0 && distance(one.ring, other.ring) < job2.gap - tolerance)
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
  return clippedArea(a, b, import_clipper_lib2.default.ClipType.ctIntersection) > tolerance * Math.min(girth(a), girth(b));
}
var CLIPPED_QUICKLY = 4e7;
var COARSEST = 200;
function clippedArea(subject, clip2, type) {
  const { box } = toItem("", subject);
  const [left, low] = [Math.min(box[0], clip2[0][0]), Math.min(box[1], clip2[0][1])];
  const far = [...subject, ...clip2].reduce((most, [x, y]) => Math.max(most, Math.abs(x - left), Math.abs(y - low)), 1);
  const step = Math.max(1, Math.min(COARSEST, Math.ceil(far / CLIPPED_QUICKLY)));
  const path = (ring) => ring.map(([x, y]) => ({ X: Math.round((x - left) / step), Y: Math.round((y - low) / step) }));
  const clipper = new import_clipper_lib2.default.Clipper();
  clipper.AddPath(path(subject), import_clipper_lib2.default.PolyType.ptSubject, true);
  clipper.AddPath(path(clip2), import_clipper_lib2.default.PolyType.ptClip, true);
  const solution = [];
  clipper.Execute(type, solution);
  return Math.abs(solution.reduce((sum2, one) => sum2 + import_clipper_lib2.default.Clipper.Area(one), 0)) * step ** 2;
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
function checkPhase(lattice, stock, { match }, { piece: piece2, copy, x, y }, phases, tolerance, fault) {
  if (!match || !lattice) return;
  const label = `${piece2} ${copy}`;
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
    fault("phase", `${piece2} ${copy} is off the phase of ${first.label}`);
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
    return fromUnits(number2(value, field), this.units);
  }
  length(value, field) {
    if (number2(value, field) < 0) no(field, value, "zero or more");
    return this.any(value, field);
  }
  positive(value, field) {
    if (number2(value, field) <= 0) no(field, value, "more than zero");
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
  throw new Refusal(field, `${shown2(value)} is not ${wanted}`);
}
function shown2(value) {
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
function number2(value, field) {
  if (typeof value !== "number" || !(Math.abs(value) <= LARGEST)) no(field, value, "a number of at most 1000000");
  return value;
}
function quantity2(value, field) {
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
var endlessOf = (stock) => stock.findIndex(({ length: length2 }) => length2 === Infinity);
var MOST_COPIES = 1e4;
var GRAINS = ["bias", "across", "along"];
function readJob(json) {
  return reading("lay-job", () => readWhole(json));
}
function readWhole(json) {
  const job2 = object(json, "job");
  if (job2.format !== JOB_FORMAT) no("format", job2.format, `"${JOB_FORMAT}"`);
  if (job2.version !== FORMAT_VERSION) no("version", job2.version, String(FORMAT_VERSION));
  const units = oneOf(job2.units, ["in", "mm"], "units");
  const read = new Reader(units);
  const cloth = object(job2.cloth, "cloth");
  const width = read.positive(cloth.width, "cloth.width");
  const selvage = read.selvage(cloth.selvage ?? [0, 0], width, "cloth.selvage");
  const turns = oneOf(cloth.turns, ["any", "half", "none"], "cloth.turns");
  const lattice = readLattice(read, cloth.repeat);
  const stock = readStock(read, job2.stock, width, selvage);
  for (const field of ["pieces", "strips"]) {
    const count = list(job2[field] ?? [], field).length;
    if (count > MOST_COPIES) throw new Refusal(field, `${count} copies in all are more than ${MOST_COPIES}`);
  }
  const pieces = list(job2.pieces ?? [], "pieces").map((one, i) => readPiece(read, one, `pieces[${i}]`, turns, lattice));
  const strips = list(job2.strips ?? [], "strips").map((one, i) => readStrip(read, one, `strips[${i}]`));
  if (pieces.length + strips.length === 0)
    throw new Refusal("pieces", "there is nothing to cut, neither a piece nor a strip");
  uniqueIds(pieces, "pieces");
  uniqueIds(strips, "strips");
  const copies = [...pieces, ...strips].reduce((sum2, { qty }) => sum2 + qty, 0);
  if (copies > MOST_COPIES) throw new Refusal("qty", `${copies} copies in all are more than ${MOST_COPIES}`);
  const whole2 = {
    units,
    clothName: typeof cloth.name === "string" ? cloth.name : "",
    lattice,
    stock,
    gap: read.length(job2.gap ?? 0, "gap"),
    straight: oneOf(job2.cut ?? "free", ["free", "straight"], "cut") === "straight",
    pieces,
    strips,
    locked: list(job2.placed ?? [], "placed").map((one, i) => readLocked(read, one, `placed[${i}]`, stock, pieces)),
    search: readSearch(job2.search)
  };
  checkLocked(whole2);
  return whole2;
}
function readLocked(read, value, field, stock, pieces) {
  const one = object(value, field);
  const length2 = one.stock === void 0 ? stock.at(-1) : stock.find(({ id }) => id === one.stock);
  if (!length2) no(`${field}.stock`, one.stock, "the id of a stock length");
  const piece2 = pieces.find(({ id }) => id === one.piece);
  if (!piece2) no(`${field}.piece`, one.piece, "the id of a piece");
  const copy = quantity2(one.copy ?? 1, `${field}.copy`);
  if (copy > piece2.qty) no(`${field}.copy`, copy, `one of the ${piece2.qty} copies of ${JSON.stringify(piece2.id)}`);
  const turn2 = one.turn ?? 0;
  if (!piece2.turns.includes(turn2)) no(`${field}.turn`, turn2, `one of ${piece2.turns.join(", ")}`);
  return {
    stock: length2.id,
    piece: piece2.id,
    copy,
    x: read.any(one.x, `${field}.x`),
    y: read.any(one.y, `${field}.y`),
    turn: turn2
  };
}
function checkLocked(job2) {
  if (job2.locked.length === 0) return;
  const seen = /* @__PURE__ */ new Set();
  job2.locked.forEach(({ piece: piece2, copy }, i) => {
    const key = `${copy} ${piece2}`;
    if (seen.has(key))
      throw new Refusal(`placed[${i}].copy`, `copy ${copy} of ${JSON.stringify(piece2)} is there twice`);
    seen.add(key);
  });
  const lays = job2.stock.flatMap(({ id }) => {
    const placed = job2.locked.filter(({ stock }) => stock === id);
    return placed.length > 0 ? [{ stock: id, used: 0, placed, cuts: [] }] : [];
  });
  const plan = { lays, unplaced: [], used: 0, endless: 0, bound: 0, passes: 0, refused: 0 };
  const fault = findFaults(job2, plan).find(({ kind }) => !["copies", "used", "bound"].includes(kind));
  if (fault) throw new Refusal("placed", fault.what);
}
function readSearch(value) {
  const { seconds: seconds2 = 5, seed = 1 } = value === void 0 ? {} : object(value, "search");
  const time2 = number2(seconds2, "search.seconds");
  if (time2 < 0) no("search.seconds", seconds2, "zero or more");
  if (!Number.isSafeInteger(seed)) no("search.seed", seed, "a whole number");
  return { seconds: time2, seed };
}
function readLattice(read, value) {
  if (value === void 0) return null;
  const repeat = object(value, "cloth.repeat");
  const drop = number2(repeat.drop ?? 0, "cloth.repeat.drop");
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
  const piece2 = object(value, field);
  if (piece2.size === void 0 === (piece2.outline === void 0))
    throw new Refusal(field, "exactly one of size and outline is needed");
  const outline = piece2.outline === void 0 ? null : read.outline(piece2.outline, `${field}.outline`);
  const [width, height] = outline ? boxOf(outline, piece2.outline, `${field}.outline`) : read.size(piece2.size, `${field}.size`);
  const ownTurns = oneOf(piece2.turns ?? "any", ["any", "half", "none"], `${field}.turns`);
  const match = lattice && piece2.match !== void 0 ? readMatch(read, piece2.match, `${field}.match`, [width / 2, height / 2]) : null;
  return {
    id: name(piece2.id, `${field}.id`),
    qty: quantity2(piece2.qty ?? 1, `${field}.qty`),
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
    qty: quantity2(strip.qty ?? 1, `${field}.qty`),
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

// src/core/lay/chains.ts
var HARDLY2 = 5080;
var MOST_KINDS = 60;
var MOST_SEEDS = 12;
function chainBound(job2, links) {
  const some = links.filter(({ qty }) => qty > 0).sort((a, b) => b.qty * b.height - a.qty * a.height).slice(0, MOST_KINDS);
  let best = 0;
  for (const seed of some.slice(0, MOST_SEEDS)) {
    const chain = [];
    for (const link of [seed, ...some.filter((one) => one !== seed)]) {
      const isApart = chain.every((other) => !canBeBeside(job2, link, other));
      if (isApart) chain.push(canBeBeside(job2, link, link) ? { ...link, qty: 1 } : link);
    }
    best = Math.max(best, lengthOf(job2, chain));
  }
  return best;
}
var isBound = (one, other) => one.match !== null && other.match !== null && one.match.group === other.match.group;
function canBeBeside(job2, one, other) {
  const { lattice, stock } = job2;
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
function waitBehind(job2, link, links) {
  const others = links.filter((other) => other !== link || link.qty > 1);
  return others.length > 0 ? Math.min(...others.map((other) => between(job2, link, other))) : 0;
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
function lengthOf(job2, chain) {
  let [length2, most] = [0, 0];
  for (const link of chain) {
    const least = waitBehind(job2, link, chain);
    length2 += link.qty * (link.height + job2.gap + least);
    most = Math.max(most, least);
  }
  const first = Math.min(...chain.map((link) => waitBefore(job2, link)));
  return Math.max(0, first + length2 - job2.stock.length * (job2.gap + most));
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
var greatestCommon2 = (a, b) => b === 0 ? a : greatestCommon2(b, a % b);
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
function linesBound(things, loose, length2, known = 0, isOver = () => false) {
  const line = gridOf(things, length2);
  const rows = things.length + (loose > 0n ? 1 : 0);
  if (rows === 0 || rows > MOST_ROWS) return 0;
  const amounts = [...things.map(({ qty }) => qty), ...loose > 0n ? [Number(loose)] : []];
  const prices = pricesOf(line, amounts, things.length, known, isOver);
  if (!prices) return 0;
  return priced(line, things, loose, prices);
}
function mostAbreast(things, length2) {
  const line = gridOf(things, length2);
  const { value } = dearest(line, line.ways.map(() => 1), 0);
  return Math.max(1, value);
}
function gridOf(things, length2) {
  const sizes = things.flatMap(
    ({ ways }) => ways.flatMap(({ side: side2, starts }) => [side2, ...starts ? [starts.first, starts.period] : []])
  );
  const common = sizes.reduce(greatestCommon2, length2);
  const isFine = length2 / common <= FINEST2;
  const step = isFine ? common : Math.ceil(length2 / FINEST2);
  const steps = Math.ceil(length2 / step);
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
  for (let moved2 = 1; moved2 < line.drift; moved2++) {
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
  if (grain === "along") return Math.max(...stock.map(({ length: length2 }) => length2));
  return grain === "across" ? across : longestBias(across);
}
function fewestCuts(want, most) {
  if (want.length <= most) return 1;
  if (most <= want.loss) return null;
  return Math.ceil((want.length - want.loss) / (most - want.loss));
}
function straightBlock({ strip, copy, width }, length2, across) {
  const [w, h] = across ? [length2, width] : [width, length2];
  return {
    width: w,
    height: h,
    cuts: [
      {
        strip,
        copy,
        length: length2,
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
  const fill2 = (length2, cuts2) => isLying ? fillBias(length2, blockWidth, wants, gap, cuts2) : fillBias(blockWidth, length2, wants, gap, cuts2);
  const holds = (length2) => fill2(length2, null).length === 0;
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
  fill2(high, cuts);
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
  const turned3 = cuts.map((cut) => isLying ? { ...cut, outline: overCorner(cut.outline) } : cut);
  const furthest2 = (axis) => turned3.reduce((far, { outline }) => outline.reduce((most, corner) => Math.max(most, corner[axis]), far), 0);
  return { width: furthest2(0), height: furthest2(1), cuts: turned3 };
}
function trimmed({ width, height, cuts }) {
  const nearest = (axis) => cuts.reduce(
    (near, { outline }) => outline.reduce((least, corner) => Math.min(least, corner[axis]), near),
    Infinity
  );
  const [left, low] = [nearest(0), nearest(1)];
  const moved2 = (outline) => outline.map(([x, y]) => [x - left, y - low]);
  return {
    width: width - left,
    height: height - low,
    cuts: cuts.map((cut) => ({ ...cut, outline: moved2(cut.outline) }))
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
function lowerBound(job2, placed) {
  const width = Math.max(...job2.stock.map(({ left, right }) => right - left));
  const { gap } = job2;
  const loads = job2.pieces.map((piece2) => ({
    qty: placed.pieces.get(piece2.id) ?? 0,
    ways: waysOf(piece2.width, piece2.height, piece2.turns),
    area: areaWithGap(piece2, gap),
    isBox: piece2.outline === null,
    isBent: piece2.outline !== null
  }));
  const stripLoads = job2.strips.map((strip) => {
    const { id, width: w, grain } = strip;
    const length2 = leastLength(strip, job2.stock);
    return {
      qty: placed.strips.get(id) ?? 0,
      // A strip along the cloth takes its width over at least its length; the others may be cut to any length.
      ways: grain === "along" ? [[w, length2]] : [],
      area: areaOfStrip(w, length2, gap),
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
  ) - job2.stock.length * gap;
  const tallest = Math.max(
    0,
    ...loads.filter(({ qty }) => qty > 0).map(({ ways }) => Math.min(...ways.filter(([w]) => w <= width).map(([, h]) => h)))
  );
  const byWidths = job2.stock.length > 1 ? 0 : dualFeasible(all, width, gap);
  const byChains = chainBound(
    job2,
    job2.pieces.flatMap(({ id, width: w, height: h, turns, outline, match }) => {
      const ways = waysOf(w, h, turns).filter(([across]) => across <= width);
      if (outline || ways.length === 0) return [];
      const [widths, heights] = [ways.map(([across]) => across), ways.map(([, along]) => along)];
      return [{ qty: placed.pieces.get(id) ?? 0, width: Math.min(...widths), height: Math.min(...heights), match }];
    })
  );
  const inRows = byRows(loads.filter(({ qty }) => qty > 0), width, gap, job2.stock.length);
  return Math.max(0, byArea, Number.isFinite(tallest) ? tallest : 0, byWidths, byChains, inRows);
}
var surely = (area) => BigInt(Math.floor(area * (1 - 1e-12)));
function areaWithGap({ outline, width, height }, gap) {
  const around2 = surely(Math.PI / 4 * gap ** 2);
  if (!outline) return BigInt(width) * BigInt(height) + BigInt(gap) * BigInt(width + height) + around2;
  const area = areaOfPiece({ outline, width, height });
  const girth2 = girthIfConvex(outline) ?? 2 * Math.sqrt(Math.PI * area);
  return surely(area + girth2 * gap / 2) + around2;
}
var areaOfStrip = (width, length2, gap) => BigInt(width + gap) * BigInt(length2);
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
function barBound(job2, placed, known = 0, isOver = () => false) {
  let best = barBoundOf(job2, placed, known, void 0, isOver);
  const better = (bound) => best = Math.max(best, bound);
  for (const group of largestGroups(job2, placed)) {
    if (isOver()) break;
    better(waitingBound(job2, placed, Math.max(known, best), group, isOver));
    if (group !== null || job2.stock.length > 1) better(barBoundOf(job2, placed, Math.max(known, best), group, isOver));
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
function waitingBound(job2, placed, known, group, isOver) {
  const { gap, stock } = job2;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const links = job2.pieces.flatMap(({ id, width, height, match, outline }) => {
    const qty = placed.pieces.get(id) ?? 0;
    return match && !outline && match.group === group && qty > 0 ? [{ qty, width, height, match }] : [];
  });
  if (links.length > MOST_ROWS) return 0;
  const waits2 = links.map((link) => waitBehind(job2, link, links));
  const last = waits2.reduce((most, wait) => Math.max(most, wait), 0);
  if (last === 0) return 0;
  const things = links.map(({ qty, width, height, match }, i) => ({
    qty,
    ways: [{ side: width, cover: height + gap + waits2[i], starts: startsOf(job2, match, group) }]
  }));
  const more = Math.min(...links.map((link) => waitBefore(job2, link))) - stock.length * (gap + last);
  const bound = linesBound(things, 0n, usable, known - more, isOver);
  const inRows = rowsNeeded(things.map(({ qty, ways }) => ({ qty, height: ways[0].cover })), mostAbreast(things, usable));
  return Math.max(bound, inRows) + more;
}
function rowsNeeded(things, abreast) {
  let rows = Math.ceil(things.reduce((count, { qty }) => count + qty, 0) / abreast);
  let length2 = 0;
  for (const { qty, height } of [...things].sort((one, other) => one.height - other.height)) {
    length2 += Math.min(rows, qty) * height;
    rows -= Math.min(rows, qty);
  }
  return length2;
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
function barBoundOf(job2, placed, known, drifting, isOver) {
  const { gap, stock } = job2;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const things = [];
  let loose = 0n;
  let isBent = false;
  for (const piece2 of job2.pieces) {
    const { id, width, height, turns, outline, match } = piece2;
    const qty = placed.pieces.get(id) ?? 0;
    if (qty === 0) continue;
    const area = areaWithGap(piece2, gap);
    if (outline) {
      loose += area * BigInt(qty);
      isBent = true;
      continue;
    }
    const starts = startsOf(job2, match, drifting);
    const ways = waysOf(width, height, turns).filter(([w]) => w <= usable);
    things.push({ qty, ways: ways.map(([w, h]) => ({ side: w + gap, cover: h, starts })) });
    const most = Math.max(...ways.map(([, h]) => h));
    const rest = area - BigInt(width) * BigInt(height) - BigInt(gap) * BigInt(most);
    loose += rest * BigInt(qty);
  }
  for (const strip of job2.strips) {
    const qty = placed.strips.get(strip.id) ?? 0;
    const length2 = leastLength(strip, stock);
    if (qty === 0) continue;
    if (strip.grain === "along") {
      things.push({ qty, ways: [{ side: strip.width + gap, cover: length2, starts: null }] });
    } else {
      loose += areaOfStrip(strip.width, length2, gap) * BigInt(qty);
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
  place(order, limit, x, y, turned3) {
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
      turned3[part] = bestWay.turned;
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
  constructor(job2, parts, random) {
    this.job = job2;
    this.random = random;
    const { gap, lattice, stock } = job2;
    const [{ left, right, motif }] = stock;
    this.left = left;
    this.lattice = lattice;
    this.motif = [motif[0] - left, motif[1]];
    this.width = right - left + gap;
    const { kinds, groups } = gatherKinds(job2, parts);
    this.kinds = kinds;
    this.phases = Array.from({ length: groups }, () => null);
    this.counts = Int32Array.from(this.kinds, ({ members }) => members.length);
    this.weights = new Float64Array(this.kinds.length);
    this.area = this.kinds.reduce((sum2, { ways, members }) => sum2 + members.length * ways[0].w * ways[0].h, 0);
    const sides = this.kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h]));
    this.step = [this.width, ...sides].reduce(greatestCommon2);
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
  run(target, limit, x, y, turned3) {
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
      turned3[part] = way.turned;
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
  constructor(job2, parts) {
    this.job = job2;
    this.parts = parts;
    const { gap } = job2;
    const sides = parts.map(({ width, height, turns }) => [
      Math.min(...turns.map((turn2) => turn2 === 0 ? width : height)) + gap,
      Math.min(...turns.map((turn2) => turn2 === 0 ? height : width)) + gap
    ]);
    const leastWidth = Math.min(...sides.map(([w]) => w));
    const leastHeight = Math.min(...sides.map(([, h]) => h));
    const Space = job2.straight ? GuillotineSpace : FreeSpace;
    this.spaces = job2.stock.map(({ left, right, length: length2, flaws, outline }) => {
      const blocked = [...flaws, ...outline ? boxesOutside(outline, left, right, length2) : []];
      const moved2 = blocked.map(([x0, y0, x1, y1]) => [
        x1 - x0 > gap ? x0 + gap : x0,
        y1 - y0 > gap ? y0 + gap : y0,
        x1,
        y1
      ]);
      return new Space(left, right + gap, length2 + gap, leastWidth, leastHeight, moved2);
    });
    const names = [...new Set(parts.flatMap(({ match }) => match?.group ?? []))];
    this.groups = new Map(names.map((name2, i) => [name2, i]));
    this.groupPhases = names.map(() => null);
    this.endless = endlessOf(job2.stock);
    const [first] = job2.stock;
    const isPlain = job2.stock.length === 1 && this.endless === 0 && first.flaws.length === 0 && !first.outline && !job2.straight && parts.every(({ match }) => !match);
    this.bestFit = isPlain ? new BestFit(parts, first.left, first.right, gap) : null;
    this.canBeTight = suitsTightSearch(job2) && parts.length > 0;
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
    const [x, y, turned3] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
    return this.tight.run(target, nodes, x, y, turned3) ? this.asPlacing(x, y, turned3) : null;
  }
  placeBestFit(order, limit) {
    const n = this.parts.length;
    const [x, y, turned3] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
    const used = this.bestFit.place(order, limit, x, y, turned3);
    if (used === Infinity) return { stock: new Int32Array(n), x, y, turned: turned3, used: Float64Array.of(used), cost: used };
    return this.asPlacing(x, y, turned3);
  }
  /** All parts lie on the one length: its furthest point and the cost. */
  asPlacing(x, y, turned3) {
    return measured(this.job, this.parts, { stock: new Int32Array(this.parts.length), x, y, turned: turned3 });
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
      let turned3 = 0;
      for (const turn2 of part.turns) {
        const [w2, h2] = turn2 === 0 ? [part.width, part.height] : [part.height, part.width];
        const before = best.score;
        const tie = best.tie;
        this.spaces[k].find(w2 + gap, h2 + gap, rule, best, phase, lattice, stock[k].motif);
        if (best.score !== before || best.tie !== tie) turned3 = turn2 === 0 ? 0 : 1;
      }
      if (best.score === Infinity) continue;
      const [w, h] = turned3 === 0 ? [part.width, part.height] : [part.height, part.width];
      this.spaces[k].take(best.x, best.y, best.x + w + gap, best.y + h + gap);
      result.stock[i] = k;
      result.x[i] = best.x;
      result.y[i] = best.y;
      result.turned[i] = turned3;
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
function measured(job2, parts, where) {
  const { stock, y, turned: turned3 } = where;
  const used = new Float64Array(job2.stock.length);
  parts.forEach(({ width, height }, i) => {
    const at = stock[i];
    if (at >= 0) used[at] = Math.max(used[at], y[i] + (turned3[i] % 2 === 1 ? width : height));
  });
  return { ...where, used, cost: costOf(job2, parts, { ...where, used }) };
}
function costOf({ stock }, parts, { stock: at, y, turned: turned3, used }) {
  let [unplaced, lifted, total] = [0, 0, 0];
  parts.forEach(({ width, height }, i) => {
    const area = width * height;
    if (at[i] < 0) {
      unplaced += area;
      return;
    }
    lifted += area * (y[i] + (turned3[i] % 2 === 1 ? width : height));
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
function boxOf2(job2, { piece: piece2, x, y, turn: turn2 }) {
  const { width, height } = job2.pieces.find(({ id }) => id === piece2);
  return turn2 % 180 === 0 ? [x, y, x + width, y + height] : [x, y, x + height, y + width];
}
function withoutLocked(job2) {
  const { lattice, locked } = job2;
  const phases = /* @__PURE__ */ new Map();
  for (const { piece: piece2, stock, x, y } of locked) {
    const { match } = job2.pieces.find(({ id }) => id === piece2);
    const { motif } = job2.stock.find(({ id }) => id === stock);
    if (match?.group && lattice) phases.set(match.group, phaseAt(match, motif, x, y, lattice));
  }
  return {
    ...job2,
    locked: [],
    stock: job2.stock.map((stock) => ({ ...stock, flaws: [...stock.flaws, ...flawsFrom(job2, stock)] })),
    pieces: job2.pieces.flatMap((piece2) => {
      const qty = piece2.qty - locked.filter((one) => one.piece === piece2.id).length;
      const { match } = piece2;
      const phase = match?.group ? phases.get(match.group) : void 0;
      const offset = phase && match ? match.offset.map((at, i) => at + phase[i]) : match?.offset;
      return qty > 0 ? [{ ...piece2, qty, match: match && { ...match, offset, group: phase ? null : match.group } }] : [];
    })
  };
}
function flawsFrom(job2, { id, left, right }) {
  const { gap } = job2;
  const here = job2.locked.filter(({ stock }) => stock === id);
  if (here.length === 0) return [];
  if (job2.straight) return [[left, 0, right, Math.max(...here.map((one) => boxOf2(job2, one)[3])) + gap]];
  return here.flatMap((one) => {
    const { outline } = job2.pieces.find((piece2) => piece2.id === one.piece);
    const boxes = outline ? boxesWithin(turnOutline(outline, one.turn)).map(([x0, y0, x1, y1]) => [
      one.x + x0,
      one.y + y0,
      one.x + x1,
      one.y + y1
    ]) : [boxOf2(job2, one)];
    return boxes.map(([x0, y0, x1, y1]) => [x0 - gap, y0 - gap, x1 + gap, y1 + gap]);
  });
}
function withLocked(job2, rest) {
  const free = new Map(
    job2.pieces.map(({ id, qty }) => {
      const taken = new Set(job2.locked.filter(({ piece: piece2 }) => piece2 === id).map(({ copy }) => copy));
      return [id, Array.from({ length: qty }, (_, i) => i + 1).filter((copy) => !taken.has(copy))];
    })
  );
  const recount = (one) => ({
    ...one,
    copy: free.get(one.piece)[one.copy - 1]
  });
  const lays = job2.stock.flatMap(({ id }) => {
    const lay = rest.lays.find(({ stock }) => stock === id);
    const locked = job2.locked.filter(({ stock }) => stock === id);
    if (!lay && locked.length === 0) return [];
    const placed = locked.map(({ piece: piece2, copy, x, y, turn: turn2 }) => ({ piece: piece2, copy, x, y, turn: turn2 }));
    return [
      {
        stock: id,
        used: Math.max(lay?.used ?? 0, ...locked.map((one) => boxOf2(job2, one)[3])),
        placed: [...placed, ...(lay?.placed ?? []).map(recount)],
        cuts: lay?.cuts ?? []
      }
    ];
  });
  const used = lays.reduce((sum2, lay) => sum2 + lay.used, 0);
  const endless = job2.stock.find(({ length: length2 }) => length2 === Infinity)?.id;
  return {
    ...rest,
    lays,
    unplaced: rest.unplaced.map((one) => "piece" in one ? recount(one) : one),
    used,
    endless: lays.find(({ stock }) => stock === endless)?.used ?? 0
  };
}

// src/core/lay/rounded-outline.ts
var import_clipper_lib3 = __toESM(require_clipper(), 1);
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
  if (!import_clipper_lib3.default.Clipper.Orientation(exact)) exact.reverse();
  const grown2 = [];
  const offset = new import_clipper_lib3.default.ClipperOffset(2, half / 10);
  offset.AddPath(exact, import_clipper_lib3.default.JoinType.jtRound, import_clipper_lib3.default.EndType.etClosedPolygon);
  offset.Execute(grown2, half);
  const outer = grown2.reduce((most, one) => areaOf(one) > areaOf(most) ? one : most, []);
  const fewer = (0, import_simplify_js.default)(
    [...outer, outer[0]].map(({ X, Y }) => ({ x: X, y: Y })),
    half - 4,
    true
  ).slice(0, -1);
  const box = [[0, 0], [width, 0], [width, height], [0, height]].map(([x, y]) => ({ X: x / CLIP, Y: y / CLIP }));
  const [cut, ...more] = clipped(fewer.map(({ x, y }) => ({ X: x, Y: y })), box, import_clipper_lib3.default.ClipType.ctIntersection);
  if (!cut || more.length > 0 || cut.length >= ring.length) return ring;
  if (clipped(exact, cut, import_clipper_lib3.default.ClipType.ctDifference).reduce((sum2, one) => sum2 + areaOf(one), 0) > 0) return ring;
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
var areaOf = (path) => Math.abs(import_clipper_lib3.default.Clipper.Area(path));
function clipped(subject, clip2, type) {
  const clipper = new import_clipper_lib3.default.Clipper();
  clipper.AddPath(subject, import_clipper_lib3.default.PolyType.ptSubject, true);
  clipper.AddPath(clip2.map(({ X, Y }) => ({ X: Math.ceil(X), Y: Math.ceil(Y) })), import_clipper_lib3.default.PolyType.ptClip, true);
  const solution = [];
  clipper.Execute(type, solution);
  return solution;
}

// src/core/lay/parts.ts
function pieceParts(job2) {
  return job2.pieces.flatMap(({ id, qty, width, height, turns, match, outline }) => {
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
function stripSets(job2, expectedLength) {
  const impossible = [];
  const straight = [];
  const bias = [];
  const roll = job2.stock.slice(-1);
  let biasFrom2 = roll;
  let cuts = 0;
  for (const strip of job2.strips) {
    for (const want of wantsOf(strip)) {
      const from = whyNot(want, strip.grain, roll) ? job2.stock : roll;
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
    ways: biasWays(some, across, job2.gap)
  });
  const together = setOf(sorted);
  const inOneBlock = [...straight, together];
  if (bias.length === 1 || bias.length > MOST_APART) return { sets: [inOneBlock], impossible };
  return { sets: [inOneBlock, [...straight, ...sorted.map((want) => setOf([want]))]], impossible };
}
var wantsOf = ({ id, qty, width, length: length2, loss, least }) => Array.from({ length: qty }, (_, i) => ({ strip: id, copy: i + 1, width, length: length2, loss, least }));
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
        ways.push(lengths.map((length2) => straightBlock(want, length2, across)));
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
  constructor(job2, kinds, width, longest) {
    this.job = job2;
    this.kinds = kinds;
    const { lattice, stock } = job2;
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
    this.step = [width, ...sides].reduce(greatestCommon2);
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
  fewestChoices(now2, slot) {
    const spare = this.choices.slice();
    let fewest = null;
    let forced = null;
    for (const s of this.valleysOf(now2, slot)) {
      const [left, right] = [spare.find(({ isRight: isRight2 }) => !isRight2), spare.find(({ isRight: isRight2 }) => isRight2)];
      this.look(now2, slot, s, left, right, fewest?.count ?? Infinity);
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
  valleysOf(now2, slot) {
    const { y, w, most, count } = now2.skylines;
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
  look(now2, slot, s, left, right, most) {
    const { free, w } = this;
    const { skylines } = now2;
    const i = slot * skylines.most + s;
    const [x, width, y] = [skylines.x[i], skylines.w[i], skylines.y[i]];
    const leftWall = s > 0 ? skylines.y[i - 1] : Infinity;
    const rightWall = s < skylines.count[slot] - 1 ? skylines.y[i + 1] : Infinity;
    left.start(s, rightWall);
    right.start(s, leftWall);
    if (this.view.lattice) {
      this.lookAtPhases(now2, slot, x, width, y, left, most);
      this.lookAtPhases(now2, slot, x + width, width, y, right, most);
    }
    const isLeft2 = !left.isBound && left.count < most;
    const isRight2 = !right.isBound && right.count < most;
    if (!isLeft2 && !isRight2) return;
    const widest2 = width - this.narrowest;
    for (let k = 0; k < free.length; k++) {
      const e = free[k];
      const wide = w[e];
      if (wide > width) return;
      if (!this.canLie(now2, slot, e, width, y)) continue;
      const isSlit = wide > widest2 && wide < width;
      if (isLeft2) {
        if (isSlit) this.choose(now2, slot, e, width, y, left);
        else left.add(e, 0);
      }
      if (isRight2) {
        if (isSlit) this.choose(now2, slot, e, width, y, right);
        else right.add(e, 0);
      }
      if (left.count >= most && right.count >= most) return;
    }
  }
  /** What fits a corner at `x` of what the pattern binds. */
  lookAtPhases(now2, slot, x, width, y, found, most) {
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
      if (this.canLie(now2, slot, e, width, y)) this.choose(now2, slot, e, width, y, found);
    }
    const phases = now2.phases[now2.stateOf[slot]];
    for (const isKnown of [true, false]) {
      for (let k = 0; k < grouped.length; k++) {
        const e = grouped[k];
        if (w[e] > width) break;
        const phase = phases[groupOf[e]];
        if (isKnown !== (phase !== null)) continue;
        if (phase && !this.isExact(isRight2 ? x - w[e] : x, y, e, phase)) continue;
        if (this.canLie(now2, slot, e, width, y)) this.choose(now2, slot, e, width, y, found);
      }
      if (isKnown) found.isBound = this.filling.isForcing && found.count > 0;
      if (found.isBound || found.count >= most) return;
    }
  }
  /** Whether an entry is left, is not too high, and what it leaves beside and above it can be filled where nothing may be wasted. */
  canLie(now2, slot, e, width, y) {
    const top = y + this.h[e];
    if (top > this.filling.height || now2.counts[now2.stateOf[slot] * this.kinds.length + this.kindOf[e]] === 0)
      return false;
    return !this.isTight || this.canFill(this.sumsAlong, this.filling.height - top) && this.canFill(this.sumsAcross, width - this.w[e]);
  }
  /** Counts an entry among the choices unless a slit beside it wastes too much. */
  choose(now2, slot, e, width, y, found) {
    const rest = width - this.w[e];
    const isSlit = rest > 0 && rest < this.narrowest;
    const waste = isSlit ? rest * (Math.min(y + this.h[e], found.wall) - y) : 0;
    if (now2.waste[slot] + waste > this.filling.budget) return;
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
  canFill(sums, length2) {
    if (length2 === 0 || !sums) return true;
    const at = length2 / this.step;
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
function canFillExactly(job2, parts, target) {
  const { gap } = job2;
  const sides = parts.flatMap(({ width, height, turns }) => turns.length > 1 ? [width, height] : turns[0] === 90 ? [width] : [height]);
  const step = sides.map((side2) => side2 + gap).reduce(greatestCommon2);
  return (target + gap) % step === 0 && wasteAt(job2, parts, target) === 0;
}
var Jigsaw = class {
  constructor(job2, parts, random, longest) {
    this.job = job2;
    this.parts = parts;
    this.random = random;
    const { gap, lattice, stock } = job2;
    const [{ left, right }] = stock;
    this.left = left;
    this.width = right - left + gap;
    const gathered = gatherKinds(job2, parts);
    this.kinds = gathered.kinds;
    this.groups = gathered.groups;
    this.area = this.kinds.reduce((sum2, { ways, members }) => sum2 + members.length * ways[0].w * ways[0].h, 0);
    this.corners = new Corners(job2, this.kinds, this.width, longest + gap);
    const grid = Math.max(this.corners.step, this.width / 2e3);
    const chance = (lattice && lattice.across > 0 ? Math.min(1, grid / lattice.across) : 1) * (lattice && lattice.along > 0 ? Math.min(1, grid / lattice.along) : 1);
    this.phaseBits = -Math.log2(chance);
    this.widthBits = Math.log2(this.width / grid);
    this.canForce = chance * parts.length < SELDOM;
    this.keys = Int32Array.from({ length: this.kinds.length }, () => Math.floor(random.next() * 2 ** 31) | 1);
    this.floors = job2.straight ? new Floors() : null;
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
    for (const { stock, y, turned: turned3 } of lays) {
      this.parts.forEach(({ width: w, height: h }, i) => {
        if (stock[i] === 0) y[i] = target - y[i] - (turned3[i] === 1 ? w : h);
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
    const { now: now2 } = this;
    const { skylines } = now2;
    let slot = state;
    let isOffered = true;
    let offered = 0;
    for (let tries = 0; tries < MOST_LEVELLED; tries++) {
      const { fewest, forced } = this.corners.fewestChoices(now2, slot);
      if (fewest?.count !== 0) {
        isOffered = true;
        this.offer(slot, forced ?? fewest);
        if (forced || ++offered >= MOST_OFFERED) return;
      }
      const s = fewest.segment;
      const i = slot * skylines.most + s;
      const level2 = this.lowerWall(slot, s);
      const lost = skylines.w[i] * (level2 - skylines.y[i]);
      if (level2 === Infinity || now2.waste[slot] + lost > this.budget || level2 > this.height) return;
      if (isOffered) slot = now2.copyOf(slot);
      isOffered = false;
      now2.waste[slot] += lost;
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
    const { now: now2, children, random, floors, corners } = this;
    const { skylines } = now2;
    const state = now2.stateOf[slot];
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
      let bits = fixed || group >= 0 && now2.phases[state][group] ? this.phaseBits : 0;
      if (rest === 0) bits += this.widthBits * 0.6;
      if (top === leftWall && isOn && isLeft2 && (!isRight2 || rest === 0)) bits += this.widthBits * 0.4;
      if (top === rightWall && isOn && isBeside && (isRight2 || rest === 0)) bits += this.widthBits * 0.4;
      if (top === this.height) bits += this.widthBits * 0.2;
      const gain = bits + this.largeFirst * size;
      const wasted = now2.waste[slot] + waste[k];
      const rank = now2.score[state] + gain - wasted * perWaste + random.next() * NOISE;
      if (rank < this.least) continue;
      const child = children.add(slot, s, e, isRight2 ? sx + rest : sx, rank);
      children.gain[child] = gain;
      children.waste[child] = wasted;
    }
  }
  /** Makes a child a state of the next level. */
  grow(child, to) {
    const { now: now2, next, children } = this;
    const slot = children.parent[child];
    const s = children.segment[child];
    const px = children.px[child];
    const state = now2.stateOf[slot];
    const { kind, way, shift } = this.corners.view.entries[children.way[child]];
    const py = now2.skylines.y[slot * now2.skylines.most + s];
    next.skylines.lay(to, now2.skylines, slot, s, px, way.w, py + way.h, this.corners.narrowest);
    next.takeOne(to, now2, state, kind);
    next.waste[to] = children.waste[child];
    next.score[to] = now2.score[state] + children.gain[child];
    next.hash[to] = now2.hash[state] + this.keys[kind];
    next.chains[to] = { parent: now2.chains[state], kind, way, px, py };
    next.phases[to] = now2.phases[state];
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
    const length2 = Math.hypot(dx, dy);
    return { x, y, nx: dy / length2, ny: -dx / length2, angle: Math.atan2(dy, dx) };
  });
  const first = edges.reduce((least, { angle }, i) => angle < edges[least].angle ? i : least, 0);
  edges.push(...edges.splice(0, first));
  const pick2 = (key) => Float64Array.from(edges, (edge) => edge[key]);
  return { n: edges.length, x: pick2("x"), y: pick2("y"), nx: pick2("nx"), ny: pick2("ny"), angle: pick2("angle") };
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
    const turned3 = j < moving.n ? moving.angle[k] + (moving.angle[k] > 0 ? -Math.PI : Math.PI) : Infinity;
    const isOwn = i < fixed.n && fixed.angle[i] <= turned3;
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
function shapesOf(job2, parts) {
  const shapes = [];
  const turnOf = [];
  const known = /* @__PURE__ */ new Map();
  const numberOf = (key, turn2, make) => {
    let number3 = known.get(key);
    if (number3 === void 0) {
      known.set(key, number3 = shapes.length);
      shapes.push(make());
      turnOf.push(turn2);
    }
    return number3;
  };
  const simpler = /* @__PURE__ */ new Map();
  const coarse = (id, ring, width, height) => {
    if (!simpler.has(id)) simpler.set(id, coarseOutline(ring, width, height));
    return simpler.get(id);
  };
  const ways = parts.map(
    ({ width, height, turns, outlines, piece: piece2 }) => (outlines ? outlines.turns : turns).map((turn2) => {
      const [w, h] = turn2 % 180 === 0 ? [width, height] : [height, width];
      return outlines ? numberOf(
        `${piece2.id} ${turn2}`,
        turn2 / 90,
        () => ringShape(turnOutline(coarse(piece2.id, outlines.ring, width, height), turn2), w, h)
      ) : numberOf(`${w} ${h} ${turn2}`, turn2 / 90, () => boxShape(w, h));
    })
  );
  const fixed = [];
  job2.stock.forEach(({ left, right, length: length2, flaws, outline }, stock) => {
    for (const [x0, y0, x1, y1] of [...flaws, ...outline ? boxesOutside(outline, left, right, length2) : []]) {
      shapes.push(boxShape(x1 - x0, y1 - y0, false));
      turnOf.push(0);
      fixed.push({ stock, x: x0, y: y0, shape: shapes.length - 1 });
    }
  });
  return { shapes, turnOf, ways, fixed, clearances: new Clearances(shapes, job2.gap) };
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
  constructor(job2, pieces, sets, limits) {
    this.job = job2;
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
    const { stock, x, y, turned: turned3 } = found.placing;
    this.limits.peers?.tell({ setChoice, ways, stock, x, y, turned: turned3 });
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
var isAtTarget = ({ placing }, job2, target) => job2.stock.length === 1 && placing.stock.every((at) => at >= 0) && placing.used[0] <= target + TOLERANCE[job2.units];

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
    let now2 = starts[round % Math.min(starts.length, 4)];
    if (round >= 4) {
      const base = round % 2 === 0 ? best() : starts[random.below(starts.length)];
      now2 = room.run({ ...base, order: perturbed(base.order, random, 3 + random.below(8)) }, Infinity);
      yield passOf(now2.rule);
    }
    const late = new Array(lateness).fill(now2.placing.cost);
    for (let step = 0, stale = 0; stale < patience; step++) {
      const next = room.run(neighbour(room, now2), now2.placing.used.at(-1) * 1.1 + 1);
      yield passOf(now2.rule);
      const slot = step % lateness;
      const better = next.placing.cost < now2.placing.cost;
      if (next.placing.cost <= now2.placing.cost || next.placing.cost <= late[slot]) now2 = next;
      late[slot] = now2.placing.cost;
      stale = better ? 0 : stale + 1;
    }
    const most = isQuick ? TIGHT_GOES : Math.min(round, 2);
    const goes = !now2.placer.canBeTight ? 0 : tries < EARLY_GOES ? most : Math.min(most, 1);
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
function neighbour(room, now2) {
  const { job: job2, random, sets } = room;
  const dice = random.next();
  const { order } = now2;
  if (sets.length > 0 && sets[0].length > 0 && dice < 0.08) return recut(room, now2);
  if (now2.placer.groups.size > 0 && dice > 0.85) return rephase(job2, now2, random);
  if (dice < 0.12 && now2.rule !== "fit")
    return { ...now2, rule: now2.placer.rules[random.below(now2.placer.rules.length)] };
  const next = order.slice();
  const a = random.below(order.length);
  if (dice < 0.55) {
    let b = random.below(order.length);
    for (let tries = 0; tries < 8 && isAlike(now2.parts[order[a]], now2.parts[order[b]]); tries++)
      b = random.below(order.length);
    swap2(next, a, b);
    return { ...now2, order: next };
  }
  const count = Math.min(1 + random.below(4), order.length - a);
  const run = order.subarray(a, a + count);
  const rest = [...order.subarray(0, a), ...order.subarray(a + count)];
  const to = dice < 0.75 ? Math.max(0, Math.min(rest.length, a + random.below(21) - 10)) : random.below(rest.length + 1);
  rest.splice(to, 0, ...run);
  next.set(rest);
  return { ...now2, order: next };
}
var isAlike = (a, b) => a.width === b.width && a.height === b.height && a.match === null && b.match === null;
function rephase(job2, now2, random) {
  const { parts, placing, placer } = now2;
  const phases = Array.from({ length: placer.groups.size }, (_, g) => now2.phases[g] ?? null);
  const members = parts.map((_, i2) => i2).filter((i2) => parts[i2].match?.group);
  const i = members[random.below(members.length)];
  const part = parts[i];
  const group = placer.groups.get(part.match.group);
  if (phases[group] && random.next() < 0.2) {
    phases[group] = null;
    return { ...now2, phases };
  }
  const other = () => random.below(parts.length);
  const [a, b] = [other(), other()];
  const k = Math.max(0, placing.stock[a]);
  const { left, right, motif } = job2.stock[k];
  const wide = (p) => (placing.turned[p] ? parts[p].height : parts[p].width) + job2.gap;
  const high = (p) => (placing.turned[p] ? parts[p].width : parts[p].height) + job2.gap;
  const xs = [
    left,
    right - part.width,
    placing.x[a] + wide(a),
    placing.x[a] - part.width - job2.gap,
    placing.x[a],
    placing.x[i]
  ];
  const ys = [0, placing.y[b] + high(b), placing.y[b] - part.height - job2.gap, placing.y[b], placing.y[i]];
  phases[group] = phaseAt(part.match, motif, xs[random.below(xs.length)], ys[random.below(ys.length)], job2.lattice);
  return { ...now2, phases };
}
function recut(room, now2) {
  const { random, sets } = room;
  const setChoice = random.next() < 0.2 ? random.below(sets.length) : now2.setChoice;
  const sameSets = setChoice === now2.setChoice;
  const chosen = sets[setChoice];
  const ways = sameSets ? [...now2.ways] : chosen.map(() => 0);
  const k = random.below(chosen.length);
  ways[k] = random.below(chosen[k].ways.length);
  const made = room.assemble(setChoice, ways);
  const pieces = made.parts.findIndex(({ block }) => block);
  const at = now2.order.findIndex((i) => i >= pieces);
  const order = [...now2.order].filter((i) => i < pieces);
  const blocks = made.parts.map((_, i) => i).slice(pieces);
  if (random.next() < 0.5) order.splice(at < 0 ? order.length : at, 0, ...blocks);
  else for (const block of blocks) order.splice(random.below(order.length + 1), 0, block);
  return { ...now2, setChoice, ways, ...made, order: Int32Array.from(order) };
}

// src/core/lay/merges.ts
var PAIR = 2;
var SIZE = 1.5;
var NOISE2 = 2;
var MOST_TOLD = 4;
var Merges = class {
  constructor(job2, parts, random) {
    this.job = job2;
    this.parts = parts;
    this.random = random;
    const [{ left, right }] = job2.stock;
    this.width = right - left + job2.gap;
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
  const turned3 = angle - ROUND * Math.floor(angle / ROUND);
  return turned3 > ROUND - TURN ? turned3 - ROUND : turned3;
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
    this.step = [width, ...sides].reduce(greatestCommon2);
    this.cornerBits = Math.log2(width / Math.max(width / FINEST3, this.step));
    if (width / this.step <= FINEST3) this.gatherSums();
  }
  /** False when all corners lie on a grid that a length is not on: no lay can end there. */
  canEndAt(length2) {
    const over = length2 % this.step;
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
    const length2 = Math.hypot(dx, dy);
    const along = ((x - a.x) * dx + (y - a.y) * dy) / length2;
    const aside = ((y - a.y) * dx - (x - a.x) * dy) / length2;
    if (Math.abs(aside) <= NEAR && along > NEAR && along < length2 - NEAR) return k;
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
  constructor(job2, parts, { shapes, turnOf, ways, clearances }, random) {
    this.parts = parts;
    this.random = random;
    this.shapes = shapes;
    this.turnOf = turnOf;
    this.clearances = clearances;
    this.areas = shapes.map(({ ring }) => Math.abs(doubleArea(ring)) / 2);
    this.left = job2.stock[0].left;
    this.width = job2.stock[0].right - this.left;
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
  canEndAt(length2) {
    return this.starts.canEndAt(length2);
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
    const counts = this.members.map(({ length: length2 }) => length2);
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
  lay(part, { w, h, turned: turned3 }, node, acrossFirst) {
    const one = acrossFirst ? this.split(this.split(node, ACROSS, w), ALONG, h) : this.split(this.split(node, ALONG, h), ACROSS, w);
    this.unlist(one);
    this.is[one] = part;
    this.turned[one] = turned3;
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
    const whole2 = this.sizeOf(node, cut);
    if (size === whole2) return node;
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
  constructor(job2, parts, random) {
    this.parts = parts;
    this.random = random;
    const [{ left, right }] = job2.stock;
    const { gap } = job2;
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
  load({ x, y, turned: turned3 }, used) {
    this.clear(used);
    const boxes = this.parts.map((_, part) => {
      const way = this.ways[part].find((one) => one.turned === turned3[part] % 2);
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
    const { now: now2, random } = this;
    this.gatherMissing();
    for (let times = 1 + random.below(MOST_SUBTREES); times > 0; times--) {
      const part = random.below(this.parts.length);
      if (now2.nodeOf[part] >= 0) now2.takeOff(part, random.below(LEVELS + 1), MOST_OFF, this.out);
    }
    this.layOut();
    const cost = this.costNow();
    const stays = cost <= this.cost - HEAT * Math.log(Math.max(1e-12, random.next()));
    if (stays) this.keep(cost);
    else now2.copy(this.kept);
    return stays;
  }
  /** Where the parts lie on the cloth; fills x, y and turned by part. */
  unfold(x, y, turned3) {
    this.kept.each((part, px, py, way) => {
      x[part] = this.left + px;
      y[part] = py;
      turned3[part] = way;
    });
  }
  clear(length2) {
    this.length = length2;
    this.now.clear(this.width, length2 + this.gap);
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
    const { now: now2 } = this;
    let cost = 0;
    for (const part of this.failed) cost += this.areas[part] / this.mean;
    for (let k = 0; k < now2.open; k++) cost -= WHOLENESS * this.worth(now2.w[now2.free[k]], now2.h[now2.free[k]]);
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
    const { now: now2 } = this;
    let best = Infinity;
    let bestNode = -1;
    let bestWay = null;
    let bestFirst = false;
    const ways = this.ways[part];
    for (let k = 0; k < now2.open; k++) {
      const node = now2.free[k];
      const [w, h] = [now2.w[node], now2.h[node]];
      let whole2 = -1;
      for (let i = 0; i < ways.length; i++) {
        const way = ways[i];
        const [right, above] = [w - way.w, h - way.h];
        if (right < 0 || above < 0) continue;
        if (whole2 < 0) whole2 = this.worth(w, h);
        const acrossFirst = whole2 - this.worth(right, h) - this.worth(way.w, above);
        if (acrossFirst < best) [best, bestNode, bestWay, bestFirst] = [acrossFirst, node, way, true];
        if (right === 0 || above === 0) continue;
        const alongFirst = whole2 - this.worth(right, way.h) - this.worth(w, above);
        if (alongFirst < best) [best, bestNode, bestWay, bestFirst] = [alongFirst, node, way, false];
      }
    }
    if (!bestWay || now2.isFull) return false;
    now2.lay(part, bestWay, bestNode, bestFirst);
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
  constructor(job2, parts, random, width) {
    this.job = job2;
    this.parts = parts;
    this.random = random;
    this.width = width + job2.gap;
    this.kinds = gatherKinds(job2, parts).kinds;
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
      const puts = parts.map(({ part, x, y, turned: turned3 }) => {
        const kind = this.kinds.findIndex(({ members }) => members.includes(part));
        this.counts[kind]--;
        return { kind, way: this.kinds[kind].ways.find((way) => way.turned === turned3), x, y };
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
  unfold(x, y, turned3) {
    const next = this.kinds.map(() => 0);
    let base = 0;
    for (const { height, puts } of this.rows) {
      for (const { kind, way, x: px, y: py } of puts) {
        const part = this.kinds[kind].members[next[kind]++];
        x[part] = px;
        y[part] = base + py;
        turned3[part] = way.turned;
      }
      base += height;
    }
  }
  costOf(rows) {
    const length2 = rows.reduce((sum2, { height }) => sum2 + height, 0);
    const gathered = rows.reduce(
      (sum2, { waste, height }) => sum2 + waste / this.width * (waste / this.width / height),
      0
    );
    return length2 - GATHER * gathered;
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
  const grown2 = {
    width: width + 2 * margin,
    height: height + 2 * margin,
    low: new Float64Array(count).fill(Infinity),
    high: new Float64Array(count).fill(-Infinity)
  };
  for (let column = 0; column < count; column++) {
    const [from, to] = [Math.max(0, column - 2 * reach), Math.min(bare - 1, column)];
    for (let k = from; k <= to; k++) {
      grown2.low[column] = Math.min(grown2.low[column], Math.floor(low[k]));
      grown2.high[column] = Math.max(grown2.high[column], Math.ceil(high[k]) + 2 * margin);
    }
  }
  return grown2;
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
  const whole2 = both.filter(({ rest }) => rest.length === 0).map(({ block }) => block);
  if (whole2.length > 0) {
    const shorter = [false, true].flatMap((isLying) => biasBlock(width, wants, gap, isLying) ?? []);
    const fitting = [...whole2, ...shorter.filter((one) => one.width <= width && one.height <= height)];
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
  constructor(job2, pieces, sets, mostGaps) {
    this.job = job2;
    const { gap, stock } = job2;
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
      ({ left, right, length: length2 }, k) => hasOutlines ? new Columns(left - m, right + m, -m, length2 + m, this.step) : new Bands(left - m, right + m, -m, length2 + m, high, this.parts.length, this.blocked[k])
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
    for (const { width, height, turns, outlines, piece: piece2 } of this.parts) {
      const byTurn = [null, null, null, null];
      const tries = outlines ? outlines.turns : turns;
      for (const turn2 of tries) {
        const [w, h] = turn2 % 180 === 0 ? [width, height] : [height, width];
        const key = `${outlines ? piece2.id : ""} ${w} ${h} ${turn2}`;
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
    const { left, right, length: length2, flaws, outline } = this.job.stock[k];
    const m = this.margin;
    const outside = outline ? boxesOutside(outline, left, right, length2) : [];
    return [...flaws, ...outside].flatMap(([x0, y0, x1, y1]) => {
      const atLeft = Math.max(left - m, x0 <= left ? x0 - m : x0 + m);
      const atRight = Math.min(right + m, x1 >= right ? x1 + m : x1 - m);
      const [low, high] = [
        Math.max(-m, y0 <= 0 ? y0 - m : y0 + m),
        Math.min(length2 + m, y1 >= length2 ? y1 + m : y1 - m)
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
  const bias = sets[ofBias[0]].wants.reduce((sum2, { width, length: length2 }) => sum2 + width * length2, 0);
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
  const step = [usable, ...sides].reduce(greatestCommon2);
  const wanted = usable / COLUMNS;
  const even = step / Math.max(1, Math.round(step / wanted));
  return step >= wanted / 2 && Number.isInteger(even) ? even : Math.ceil(wanted);
}

// src/core/lay/places.ts
var ROW = 14;
var OVER = 1e15;
var Places = class {
  constructor(job2, spaces, step, random) {
    this.job = job2;
    this.spaces = spaces;
    this.step = step;
    this.random = random;
    this.margin = Math.ceil(job2.gap / 2);
    this.endless = endlessOf(job2.stock);
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
      for (let turned3 = 0; turned3 < 4; turned3++) {
        const profile = profiles[turned3];
        if (!profile || profile.low && blinks && random.next() < 0.4) continue;
        this.isRightFirst = blinks && random.next() < 0.3;
        this.blinks = blinks;
        const window2 = near !== null && k === near.stock ? near : null;
        if (profile.low && !phase) this.lookAtSteps(k, profile, turned3, window2);
        else this.lookInOpenings(k, profile, turned3, phase, window2);
      }
      if (best.score < Infinity && !this.byTouch) break;
    }
    return best.score === Infinity ? null : { stock: best.stock, x: best.x, y: best.y, turned: best.turned };
  }
  /** Looks for places wherever there may be any. */
  lookInOpenings(k, profile, turned3, phase, near) {
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
      if (isAcross) this.lookAtPhase(k, profile, turned3, phase, from, to, least, opening.to);
      else this.lookAtSides(k, profile, turned3, phase, from, to, least, opening.to, near !== null);
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
  tryAt(k, x, profile, turned3, phase, least, most) {
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
      best.turned = turned3;
      best.score = score;
      best.tie = tie;
    }
  }
  /** Every place across that holds the phase. */
  lookAtPhase(k, profile, turned3, phase, from, to, least, most) {
    const { motif } = this.job.stock[k];
    const lattice = this.job.lattice;
    const m = this.margin;
    for (let x = motif[0] + nextAcross(from + m - motif[0], phase[0], lattice) - m; x + profile.width <= to; x += lattice.across)
      this.tryAt(k, x, profile, turned3, phase, least, most);
  }
  /** Places beside others. */
  lookAtSides(k, profile, turned3, phase, from, to, least, most, isNear) {
    const space = this.spaces[k];
    if (space.mostPlaces > this.sides.length) this.sides = new Float64Array(2 * space.mostPlaces);
    const { sides } = this;
    const count = space.placesFor(profile.width, from, to, sides);
    const share = isNear || !this.blinks ? 1 : this.mostLooked / count;
    for (let p = 0; p < count; p++)
      if (share >= 1 || this.random.next() < share) this.tryAt(k, sides[p], profile, turned3, phase, least, most);
  }
  /** For an outline, places along a coarse row of steps, then finer ones about the best of them. */
  lookAtSteps(k, profile, turned3, near) {
    const { step, best } = this;
    const space = this.spaces[k];
    const start = space.left;
    const count = Math.floor((space.right - start - profile.width) / step);
    if (count < 0) return;
    const least = near ? Math.max(-this.margin, Math.floor(near.y0) - profile.height) : -this.margin;
    const tryAt = (x) => {
      if (!near || x + profile.width >= near.x0 && x <= near.x1)
        this.tryAt(k, x, profile, turned3, null, least, Infinity);
    };
    const stride = 2 ** Math.max(0, Math.floor(Math.log2(count / ROW)));
    for (let c = this.random.below(stride); c <= count; c += stride) tryAt(start + c * step);
    for (let finer = stride / 2; finer >= 1; finer /= 2) {
      if (best.score === Infinity || best.turned !== turned3) return;
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
  constructor(job2, pieces, sets, random) {
    this.job = job2;
    this.sets = sets;
    this.random = random;
    const waits2 = (job2.lattice?.along ?? 0) > 0 && pieces.some(({ match }) => match);
    this.touchShare = waits2 ? BY_TOUCH_MATCHED : BY_TOUCH;
    this.lay = new LaidParts(job2, pieces, sets, MOST_GAPS + 1);
    this.places = new Places(job2, this.lay.spaces, this.lay.step, random);
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
      (sum2, { left, right, length: length2 }) => sum2 + (right - left) * (length2 === Infinity ? this.target : length2),
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
    const gaps = stock.flatMap(({ left, right, length: length2 }, k) => {
      const taken = [...this.lay.blocked[k]];
      this.lay.spots.forEach((spot, i) => {
        if (spot?.stock === k) taken.push([boxes[4 * i], boxes[4 * i + 2], boxes[4 * i + 1], boxes[4 * i + 3]]);
      });
      const end = k === this.lay.endless ? this.target : length2;
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
    const { left, right, length: length2 } = this.job.stock[k];
    const far = k === this.lay.endless ? this.target : length2;
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
  const { job: job2, pieces, sets, random } = room;
  const { setChoice } = room.best;
  const ruin = new Ruin(job2, pieces, sets[setChoice] ?? [], random);
  ruin.load(room.best.placing, room.best.ways);
  for (const key of [(p) => p.width * p.height, (p) => p.height, (p) => p.width]) {
    const build = ruin.build((a, b) => key(b) - key(a));
    while (!build.next().done) yield room.spend(4 / pieces.length);
    room.consider({ ...ruin.found(), setChoice });
    yield room.spend(PASSES_A_STEP);
  }
}
function* descend(room, from, most) {
  const { job: job2, random, limits, pieces, sets } = room;
  const endless = endlessOf(job2.stock);
  const finite = job2.stock.reduce((sum2, { length: length2 }) => sum2 + (length2 === Infinity ? 0 : length2), 0);
  const floor = Math.max(0, limits.target - finite);
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const nearer = hasOutlines ? NEARER_WITH_OUTLINES : NEARER;
  const cost = hasOutlines ? PASSES_A_SHAPE : PASSES_A_STEP;
  const ruin = new Ruin(job2, pieces, sets[from.setChoice] ?? [], random);
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
  constructor(job2, parts, from, random) {
    this.job = job2;
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
    this.endless = endlessOf(job2.stock);
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
    const { parts, job: job2 } = this;
    this.phases.fill(null);
    for (let i = 0; i < this.n; i++) {
      const turn2 = placing.turned[i];
      const shape = this.ways[i].find((one) => this.turnOf[one] === turn2) ?? this.ways[i][0];
      this.put(i, { stock: placing.stock[i], x: placing.x[i], y: placing.y[i], shape });
      const { match } = parts[i];
      if (match?.group && job2.lattice) {
        const { motif } = job2.stock[placing.stock[i]];
        this.phases[this.groups.get(match.group)] ??= phaseAt(match, motif, placing.x[i], placing.y[i], job2.lattice);
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
    let moved2 = 1;
    if (this.members.length > 0 && random.next() < 0.5) moved2 += this.moveGroup();
    const order = Array.from({ length: this.n }, (_, i) => i).filter((i) => this.overlaps(i));
    for (let k = order.length - 1; k > 0; k--) {
      const other = random.below(k + 1);
      [order[k], order[other]] = [order[other], order[k]];
    }
    for (const i of order) {
      if (!this.overlaps(i)) continue;
      this.move(i);
      if (++moved2 < AT_ONCE) continue;
      yield moved2;
      moved2 = 0;
    }
    this.reweigh();
    yield moved2;
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
    const { random, job: job2, areas } = this;
    for (let tries = 0; tries < 20; tries++) {
      let at = random.next() * this.area;
      let stock = 0;
      while (stock < areas.length - 1 && at >= areas[stock]) at -= areas[stock++];
      const shape = this.ways[i][random.below(this.ways[i].length)];
      const { left, right } = job2.stock[stock];
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
    const now2 = this.spots[i];
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
      const shape = random.next() < 0.7 ? now2.shape : this.ways[i][random.below(this.ways[i].length)];
      const { width, height } = this.shapes[shape];
      const x = now2.x + (random.next() - 0.5) * width;
      const y = now2.y + (random.next() - 0.5) * height;
      const place = this.allowed(i, now2.stock, x, y, shape);
      if (place) consider({ ...now2, shape, x: place[0], y: place[1] });
    }
    for (let k = 0; k < BESIDE * tries; k++) consider(this.beside(i));
    let kept = { spot: now2, weight: this.weightOf(i, now2.stock, now2.x, now2.y, now2.shape, Infinity) };
    for (const spot of [best, now2]) {
      if (!spot) continue;
      const bettered = this.better(i, spot, spot === now2 ? kept.weight : least);
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
    const { random, members, job: job2 } = this;
    const lattice = job2.lattice;
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
      const grown2 = weights[i * count + j] / FADING * (LEAST_GROWTH + (MOST_GROWTH - LEAST_GROWTH) * depth / most);
      weights[i * count + j] = grown2;
      if (j < n) weights[j * count + i] = grown2;
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
  constructor(job2, parts, on, phases, random) {
    this.job = job2;
    this.parts = parts;
    this.on = on;
    this.random = random;
    const { gap, lattice, stock } = job2;
    const { left, right, length: length2, motif, flaws, outline } = stock[on];
    this.lattice = lattice;
    this.left = left;
    this.width = right - left + gap;
    this.motif = motif;
    this.blocked = [...flaws, ...outline ? boxesOutside(outline, left, right, length2) : []];
    this.kinds = gatherKinds(job2, parts).kinds;
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
    const { now: now2, kinds } = this;
    now2.start(this.left, this.width, kinds.map(({ members }) => members.length));
    now2.corners[0] = this.corners;
    now2.worth[0] = 0;
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
    const { now: now2 } = this;
    const { skylines } = now2;
    for (; ; ) {
      const s = skylines.lowest(state);
      const looked = this.fill(state, s);
      if (looked > 0) return looked;
      const i = state * skylines.most + s;
      const level2 = skylines.wallOf(state, s);
      now2.waste[state] += skylines.w[i] * (level2 - skylines.y[i]);
      if (now2.waste[state] > this.budget) return 0;
      skylines.raise(state, s, level2);
    }
  }
  /** All that may be laid into one valley; how many places that are. */
  fill(state, s) {
    const { lattice, narrowest, rough, children, ways, now: now2 } = this;
    const { skylines, counts } = now2;
    const corners = now2.corners[state];
    const firstCount = state * this.kinds.length;
    const [mx, my] = this.motif;
    const i = state * skylines.most + s;
    const [sx, width, sy] = [skylines.x[i], skylines.w[i], skylines.y[i]];
    const before = s > 0 ? skylines.y[i - 1] : Infinity;
    const after = s < skylines.count[state] - 1 ? skylines.y[i + 1] : Infinity;
    const highest = skylines.highest(state);
    const open = skylines.openBelow(state, highest);
    const [worth, wasted] = [now2.worth[state], now2.waste[state]];
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
    const { now: now2, next, children } = this;
    const parent = children.parent[child];
    const s = children.segment[child];
    const [px, py] = [children.px[child], children.py[child]];
    const way = this.ways[children.way[child]];
    const { kind } = way;
    const sy = now2.skylines.y[parent * now2.skylines.most + s];
    const filled = next.skylines.lay(to, now2.skylines, parent, s, px, way.w, py + way.h, this.narrowest);
    next.waste[to] = now2.waste[parent] + (py - sy) * way.w + filled;
    next.worth[to] = now2.worth[parent] + this.worths[kind];
    next.takeOne(to, now2, parent, kind);
    next.hash[to] = now2.hash[parent] + this.keys[kind];
    next.corners[to] = now2.corners[parent];
    next.chains[to] = { parent: now2.chains[parent], kind, way, px, py };
    if (this.lattice && this.kinds[kind].group >= 0 && now2.corners[parent][kind] === null)
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
  const { job: job2, random } = room;
  const end = endlessOf(job2.stock);
  const squeaks = /* @__PURE__ */ new Map();
  let shortest = Infinity;
  for (let go = 0; ; go++) {
    const isOther = job2.stock.length > 1 && room.tried.length > 0 && random.next() < FROM_TRIED;
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
    const whole2 = withRest(room, from, numbers, lay);
    shortest = Math.min(shortest, lay.reached);
    room.consider(whole2);
    yield* descend(room, whole2, Math.round(STEPS_OF_A_TRIAL / from.parts.length));
  }
}
function beamOf({ job: job2, pieces, sets, random }, from) {
  const end = endlessOf(job2.stock);
  const isInBeam = [
    ...pieces.map(() => true),
    ...(sets[from.setChoice] ?? []).flatMap((set, s) => blocksOf(set, from.ways[s]).map(() => set.grain === "bias"))
  ];
  const { stock, x, y } = from.placing;
  const numbers = isInBeam.flatMap((is, i) => is && (stock[i] === end || stock[i] < 0) ? [i] : []);
  const phases = /* @__PURE__ */ new Map();
  from.parts.forEach(({ match }, i) => {
    const at = stock[i];
    if (match?.group && job2.lattice && at >= 0 && at !== end)
      phases.set(match.group, phaseAt(match, job2.stock[at].motif, x[i], y[i], job2.lattice));
  });
  const parts = numbers.map((i) => from.parts[i]);
  return { numbers, beam: new WaitingBeam(job2, parts, end, phases, random) };
}
function withRest(room, from, numbers, lay) {
  const { job: job2, pieces, sets, random } = room;
  const end = endlessOf(job2.stock);
  const { stock, x, y, turned: turned3 } = from.placing;
  const where = {
    stock: stock.map((at) => at === end ? -1 : at),
    x: x.slice(),
    y: y.slice(),
    turned: turned3.slice()
  };
  numbers.forEach((i, k) => {
    where.stock[i] = lay.stock[k];
    where.x[i] = lay.x[k];
    where.y[i] = lay.y[k];
    where.turned[i] = lay.turned[k];
  });
  const ruin = new Ruin(job2, pieces, sets[from.setChoice] ?? [], random);
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
var isForBeams = ({ length: length2 }) => length2 >= FOR_BEAMS.least && length2 <= FOR_BEAMS.most;
function strategiesOf(room) {
  const { job: job2, pieces, limits } = room;
  const { placer, parts } = room.starts[0];
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const strategies = [{ passes: orders(room), share: hasOutlines ? 0.2 : 1 }];
  const isStraight = suitsRows(job2, parts) && !hasOutlines;
  const canBeTight = placer.canBeTight && !hasOutlines;
  const isExact = (canBeTight || isStraight) && canFillExactly(job2, parts, limits.target);
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
  const endless = endlessOf(job2.stock) >= 0;
  const mayWait = (!isExact || isMatched) && !hasOutlines && !job2.straight;
  const forWaits = mayWait && endless && parts.length <= MOST_WAITING;
  const ahead = forWaits && job2.stock.length > 1 ? FIRST_RUINS : 0;
  if (!job2.straight) strategies.push({ passes: ruins(room), share: forRuins, ahead });
  if (forWaits) strategies.push({ passes: waits(room), share: isExact ? 3 : isMatched ? 25 : 10 });
  const isSmall = hasOutlines && parts.length <= MOST_SQUEEZED;
  if (isSmall && !job2.straight && endless) strategies.push({ passes: squeezes(room), share: 50 });
  if (isSmall && suitsMosaic(job2, parts)) strategies.push({ passes: mosaics(room), share: 800, ahead: FIRST_MOSAICS });
  if (suitsRows(job2, parts)) {
    strategies.push({ passes: piles(room), share: 3 }, { passes: recuts(room), share: 3 });
  }
  return strategies;
}
function* beams(room) {
  const { job: job2, random, limits } = room;
  const base = room.starts[0];
  const { parts } = base;
  const ruin = new Ruin(job2, room.pieces, room.sets[base.setChoice] ?? [], random);
  const jigsaw = new Jigsaw(job2, parts, random, room.best.placing.used[0]);
  const isExact = canFillExactly(job2, parts, limits.target);
  const countsArea = !room.pieces.some(({ match }) => match) && !job2.straight && isForBeams(parts);
  const comesNearer = job2.straight || countsArea;
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
      const whole2 = next.value.find(({ placed }) => placed === parts.length);
      if (!atBound) share = whole2 ? 0.5 : Math.min(0.95, share + 0.15);
      if (job2.straight) {
        if (whole2) room.consider({ ...base, placing: base.placer.asPlacing(whole2.x, whole2.y, whole2.turned) });
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
  const { job: job2, random, limits } = room;
  const { parts } = room.starts[0];
  const mosaic = new Mosaic(job2, parts, room.shapesOf(room.starts[0]), random);
  const { left, right } = job2.stock[0];
  const target = Math.round(mosaic.area / (right - left));
  const { orders: orders2 } = mosaic;
  const half = orders2.length / 2;
  for (let go = 0; mosaic.canEndAt(target); go++) {
    const width = go < half ? MOSAIC : Math.min(WIDEST, WIDE_MOSAIC * 2 ** (Math.floor(go / half) - 1));
    const levels = mosaic.run(target, width, orders2[(go + limits.lane * half) % orders2.length]);
    let next = levels.next();
    for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_MOSAIC);
    if (next.value) room.consider({ ...room.starts[0], placing: measured(job2, parts, next.value) });
    if (go === 1 && mosaic.reached < FAR * parts.length) break;
    yield room.spend(1);
  }
}
function* squeezes(room) {
  const { job: job2, random, limits } = room;
  const endless = endlessOf(job2.stock);
  const finite = job2.stock.reduce((sum2, { length: length2 }) => sum2 + (length2 === Infinity ? 0 : length2), 0);
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
    if (!squeeze || squeeze.from !== shapes) squeeze = new Squeeze(job2, from.parts, shapes, random);
    if (pressed !== from.parts) isFresh = true;
    pressed = from.parts;
    const used = from.placing.used[endless];
    const target = Math.round(used - Math.max(1, (used - floor) * share));
    squeeze.press(isFresh ? from.placing : null, target);
    if (isStuck) squeeze.disrupt();
    let strikes = 0;
    while (!squeeze.isFree && strikes < STRIKES && room.best.placing.used[endless] > target) {
      for (const moved2 of squeeze.sweep()) yield room.spend(moved2 * PASSES_A_MOVE);
      if (squeeze.stale < SWEEPS_WITHOUT) continue;
      squeeze.restore();
      strikes++;
    }
    if (squeeze.isFree) {
      room.consider({ ...from, placing: measured(job2, from.parts, squeeze.asPlacing()) });
      yield room.spend(PASSES_A_MOVE);
    }
    const failed = strikes >= STRIKES;
    isFresh = !failed || share < LEAST_PRESS;
    isStuck = failed && isFresh;
    share = !failed ? Math.min(MOST_PRESS, share * 1.2) : isFresh ? FIRST_PRESS / 2 : share * 0.6;
  }
}
function* piles(room) {
  const { job: job2, random, starts, limits } = room;
  const { left, right } = job2.stock[0];
  for (let round = 0; ; round++) {
    const base = round % 4 < 2 ? room.bestOrder : starts[round % starts.length];
    const { parts, placer } = base;
    const n = parts.length;
    const isColumns = round % 2 === 1;
    const best = room.best.placing.used[0];
    const length2 = Math.round(best - Math.max(1, (best - limits.target) * NEARER_BY_COLUMNS));
    const rows = isColumns ? new Rows(
      job2,
      parts.map((part) => ({ ...part, width: part.height, height: part.width })),
      random,
      length2
    ) : new Rows(job2, parts, random, right - left);
    const isBetter2 = () => isColumns ? rows.used <= right - left : rows.used <= room.best.placing.used[0];
    const tell = () => {
      if (!rows.isWhole || !isBetter2()) return false;
      const [x, y, turned3] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
      if (isColumns) rows.unfold(y, x, turned3);
      else rows.unfold(x, y, turned3);
      for (let i = 0; i < n; i++) x[i] += left;
      room.consider({ ...base, placing: placer.asPlacing(x, y, turned3) });
      return true;
    };
    tell();
    if (!isColumns && n <= FEW && canFillExactly(job2, parts, limits.target)) {
      const merges = new Merges(job2, parts, random);
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
  const { job: job2, random, limits } = room;
  for (; ; ) {
    const from = room.best;
    const n = from.parts.length;
    const recut2 = new Recut(job2, from.parts, random);
    let best = from.placing.used[0];
    recut2.load(from.placing, best);
    const aim = () => recut2.aim(Math.round(best - Math.max(1, (best - limits.target) * NEARER)));
    aim();
    for (let stale = 0; stale < STEPS_WITHOUT; stale += STEPS) {
      if (room.best.placing.used[0] < best) break;
      for (let step = 0; step < STEPS; step++) {
        if (!recut2.tryStep() || !recut2.isWhole) continue;
        const [x, y, turned3] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
        recut2.unfold(x, y, turned3);
        room.consider({ ...from, placing: measured(job2, from.parts, { stock: new Int32Array(n), x, y, turned: turned3 }) });
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
function search(job2, pieces, sets, limits) {
  const room = new Room(job2, pieces, sets, limits);
  if (!tryOrders(room)) return room.passes;
  if (!tryWays(room)) return room.passes;
  if (limits.lane === 0 && !canFillExactly(job2, room.starts[0].parts, limits.target)) limits.target = limits.sharpen();
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
  const { job: job2, starts, sets } = room;
  const ways = (setChoice) => (sets[setChoice] ?? []).map(() => 0);
  const choices = Array.from({ length: Math.max(1, sets.length) }, (_, setChoice) => ({
    setChoice,
    ways: ways(setChoice),
    ...room.assemble(setChoice, ways(setChoice))
  }));
  const { rules } = choices[0].placer;
  const isSlow = rules[0] !== "fit" && !job2.straight;
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
  let now2 = room.starts[0];
  const sets = room.sets[now2.setChoice] ?? [];
  for (let set = 0; set < sets.length; set++) {
    for (let way = 1; way < sets[set].ways.length; way++) {
      const ways = now2.ways.map((one, i) => i === set ? way : one);
      const made = room.assemble(now2.setChoice, ways);
      const [order] = sortedOrders(made.parts);
      const next = room.run({ ...now2, ways, ...made, order }, Infinity);
      if (next.placing.cost < now2.placing.cost) now2 = next;
      if (room.isOver()) return false;
    }
  }
  if (now2 !== room.starts[0]) room.starts.unshift(now2);
  return true;
}

// src/core/lay/nest.ts
var STEPS_WITHOUT_CLOCK = 2e3;
var PROGRESS_EVERY_MS = 100;
function nest(job2, options = {}) {
  if (job2.locked.length === 0) return ok(laid(job2, options));
  const plan = laidRound(job2, options);
  refuseFaulty(findFaults(job2, plan));
  return ok(plan);
}
function refuseFaulty([fault]) {
  if (fault) throw new Error(`The lay engine made an invalid plan: ${fault.what}`);
}
var KEPT2 = 8;
function laidRound(job2, options) {
  const { onBetter } = options;
  const whole2 = (rest) => withLocked(job2, rest);
  const plan = whole2(laid(withoutLocked(job2), { ...options, ...onBetter && { onBetter: (rest) => onBetter(whole2(rest)) } }));
  return { ...plan, bound: Math.min(plan.used, Math.max(plan.bound, lowerBound(job2, placedOn(plan.lays)))) };
}
function laid(job2, options) {
  const start = options.clock?.() ?? 0;
  const { pieces, unplaced } = sortOut(job2);
  const fitting = new Map(job2.pieces.map(({ id }) => [id, 0]));
  for (const { piece: piece2 } of pieces) fitting.set(piece2.id, fitting.get(piece2.id) + 1);
  const placeable = {
    pieces: fitting,
    strips: new Map(job2.strips.map(({ id, qty }) => [id, qty]))
  };
  let bound = lowerBound(job2, placeable);
  const { sets, impossible } = stripSets(job2, bound);
  for (const { want, why } of impossible) {
    unplaced.push({ strip: want.strip, copy: want.copy, why });
    placeable.strips.set(want.strip, placeable.strips.get(want.strip) - 1);
  }
  if (impossible.length > 0) bound = lowerBound(job2, placeable);
  const better = [];
  let passes = 0;
  const boundOf = (placed) => isSame(placed, placeable) ? bound : lowerBound(job2, placed);
  const planOf = (found) => toPlan(job2, found, unplaced, boundOf);
  if (pieces.length + sets.flat().length > 0) {
    const limits = limitsOf(job2, options, start, () => ({ best: better.at(-1) ?? null, bound }), planOf);
    passes = search(job2, pieces, sets, {
      ...limits,
      target: bound,
      sharpen: () => bound = Math.max(
        bound,
        barBound(job2, placeable, bound, () => limits.isOver(0))
      ),
      onBetter: (found) => {
        if (better.length > KEPT2) better.splice(1, 1);
        better.push(found);
      }
    });
  }
  for (let refused = 0; ; refused++) {
    const plan = { ...planOf(better.pop() ?? null), passes, refused };
    const faults = findFaults(job2, plan);
    if (faults.length === 0) return plan;
    if (better.length === 0) refuseFaulty(faults);
  }
}
function limitsOf(job2, options, start, known, planOf) {
  const { clock, isCancelled, onProgress, onBetter } = options;
  const seconds2 = options.seconds ?? job2.search.seconds;
  const steps = options.steps ?? (clock ? Infinity : STEPS_WITHOUT_CLOCK);
  let told = start;
  let drawn = null;
  let bestPlan = null;
  return {
    seed: options.seed ?? job2.search.seed,
    lane: options.lane ?? 0,
    ...options.peers && { peers: options.peers },
    isOver: (passes) => {
      if (passes >= steps || isCancelled?.(passes)) return true;
      if (!clock) return false;
      const now2 = clock();
      if ((onProgress || onBetter) && now2 - told >= PROGRESS_EVERY_MS) {
        told = now2;
        const { best, bound } = known();
        const done = Math.min(1, Math.max((now2 - start) / 1e3 / seconds2, passes / steps));
        const isBetter2 = best !== null && best !== drawn;
        if (isBetter2) bestPlan = planOf(best);
        const { used = 0, unplaced = [] } = bestPlan ?? {};
        const proven = bestPlan && best.placing.stock.some((at) => at < 0) ? bestPlan.bound : Math.min(bound, used || bound);
        onProgress?.({ done, used, unplaced, bound: proven, ...isBetter2 && { sketch: sketchOf(job2, best) } });
        if (isBetter2) onBetter?.({ ...bestPlan, passes, refused: 0 });
        drawn = best;
      }
      return now2 - start >= seconds2 * 1e3;
    }
  };
}
function sketchOf(job2, { parts, placing }) {
  const lefts = job2.stock.map(({ left: left2 }) => left2);
  const [left, right] = [Math.min(...lefts), Math.max(...job2.stock.map((stock) => stock.right))];
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
function sortOut(job2) {
  const unplaced = [];
  const missed = new Map(job2.pieces.map((piece2) => [piece2.id, whyNoPlace(job2, piece2)]));
  const pieces = pieceParts(job2).filter(({ piece: piece2, width, height, turns }) => {
    const ways = turns.map((turn2) => turn2 === 0 ? [width, height] : [height, width]);
    const wide = job2.stock.filter(({ left, right }) => ways.some(([w]) => w <= right - left));
    const fits = wide.some(({ left, right, length: length2 }) => ways.some(([w, h]) => w <= right - left && h <= length2));
    const why = fits ? missed.get(piece2.id) : wide.length === 0 ? "no stock length is wide enough" : "no stock length is long enough";
    if (why) unplaced.push({ ...pieceName(piece2), why });
    return !why;
  });
  return { pieces, unplaced };
}
function whyNoPlace({ stock, lattice, units }, { width, height, match }) {
  if (!lattice || !match || match.group !== null) return null;
  let least = Infinity;
  for (const { left, right, length: length2, motif } of stock) {
    if (width > right - left || height > length2) continue;
    const [phaseX, phaseY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    const phase = phaseOf(phaseX, phaseY, lattice);
    const miss = missAcross({ from: left, to: right - width, phase: motif[0] + phase[0] }, lattice);
    if (miss > 0) {
      least = Math.min(least, miss);
      continue;
    }
    for (let x = nextAcross(left - motif[0], phase[0], lattice); x + motif[0] + width <= right; x += lattice.across) {
      const over = motif[1] + nextAlong(x, -motif[1], phase, lattice) + height - length2;
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
function toPlan(job2, best, unplaced, bound) {
  const lays = job2.stock.map(({ id }) => ({ stock: id, used: 0, placed: [], cuts: [] }));
  const failed = [...unplaced];
  const short = /* @__PURE__ */ new Set();
  best?.parts.forEach((part, i) => {
    if (best.placing.stock[i] >= 0) return;
    if (part.piece) failed.push({ ...pieceName(part.piece), why: whyLeft(job2, part) });
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
    endless: lays.find(({ stock }) => job2.stock.some(({ id, length: length2 }) => id === stock && length2 === Infinity))?.used ?? 0,
    bound: Math.min(bound(placed), used)
  };
}
var whyLeft = ({ stock }, { match }) => match?.group && endlessOf(stock) >= 0 ? `on no place of the pattern can it lie together with the others of its set ${JSON.stringify(match.group)}` : "no stock length has room left for it";
function placedOn(lays) {
  const placed = { pieces: /* @__PURE__ */ new Map(), strips: /* @__PURE__ */ new Map() };
  for (const { piece: piece2 } of lays.flatMap((lay) => lay.placed))
    placed.pieces.set(piece2, (placed.pieces.get(piece2) ?? 0) + 1);
  for (const key of new Set(lays.flatMap(({ cuts }) => cuts.map(keyOf)))) {
    const [strip] = JSON.parse(key);
    placed.strips.set(strip, (placed.strips.get(strip) ?? 0) + 1);
  }
  return placed;
}
var keyOf = ({ strip, copy }) => JSON.stringify([strip, copy]);

// src/core/lay/hand.ts
var SHORTEST = 12 * NM.in;
var BIAS_WAYS = ["across", "small", "tube"];
function handLength(job2) {
  const ways = job2.strips.some(({ grain }) => grain === "bias") ? BIAS_WAYS : BIAS_WAYS.slice(0, 1);
  const tries = ways.flatMap((way) => {
    const things = chalked(job2, way);
    return [false, true].map((isUpright) => rowsEnd(job2, things, isUpright));
  });
  return tries.reduce((least, one) => Math.min(least, one));
}
function chalked(job2, bias) {
  const roll = job2.stock.at(-1);
  const usable = roll.right - roll.left;
  const copies = (qty, thing) => thing.ways.length > 0 ? Array.from({ length: qty }, () => thing) : [];
  const fitting = (ways) => ways.filter(([w]) => w <= usable);
  const plain = (w, h) => ({ ways: fitting([[w, h]]), match: null });
  return [
    ...job2.pieces.flatMap(({ width, height, turns, match, qty }) => {
      const ways = [];
      if (turns.some((turn2) => turn2 % 180 === 0)) ways.push([width, height]);
      if (turns.some((turn2) => turn2 % 180 === 90)) ways.push([height, width]);
      return copies(qty, { ways: fitting(ways), match });
    }),
    ...job2.strips.flatMap((strip) => {
      if (strip.grain === "across") return acrossCuts(strip, usable).flatMap((length2) => copies(strip.qty, plain(length2, strip.width)));
      if (strip.grain === "along") return alongCuts(strip, usable, job2.gap).map((length2) => plain(strip.width, length2));
      return biasBlocks(strip, usable, job2.gap, bias).map(({ width, height }) => plain(width, height));
    })
  ];
}
function acrossCuts(strip, usable) {
  const count = fewestCuts(wantOf(strip, 1), usable);
  if (count === null) return [];
  const rest = strip.length + (count - 1) * strip.loss - (count - 1) * usable;
  return [
    ...new Array(count - 1).fill(usable),
    Math.min(usable, Math.max(rest, strip.least, count > 1 ? SHORTEST : 0))
  ];
}
function alongCuts(strip, usable, gap) {
  const abreast = Math.max(1, Math.floor((usable + gap) / (strip.width + gap)));
  const cuts = Math.max(1, Math.min(abreast, Math.floor(strip.length / Math.max(strip.least, SHORTEST))));
  const each = Math.max(strip.least, Math.ceil((strip.length + (cuts - 1) * strip.loss) / cuts));
  return new Array(cuts * strip.qty).fill(each);
}
function biasBlocks(strip, usable, gap, way) {
  const wants = Array.from({ length: strip.qty }, (_, i) => wantOf(strip, i + 1));
  const side2 = Math.ceil(Math.sqrt(strip.length * strip.width * strip.qty));
  if (way === "tube" && side2 <= usable) return [{ width: side2, height: side2 }];
  const byFoot = wants.map((want) => ({ ...want, least: Math.max(want.least, Math.min(SHORTEST, want.length)) }));
  const some = biasWays(byFoot, usable, gap).map(([block]) => block);
  const across = biasBlock(usable, byFoot, gap);
  const lying = biasBlock(usable, byFoot, gap, true);
  const area = ({ width, height }) => width * height;
  const [best] = [...some, across, lying].filter((block) => block !== null).sort((a, b) => way === "small" ? area(a) - area(b) : a.height - b.height);
  return best ? [best] : [];
}
var wantOf = ({ id, width, length: length2, loss, least }, copy) => ({ strip: id, copy, width, length: length2, loss, least });
function rowsEnd({ lattice, gap, stock }, things, isUpright) {
  const { left, right } = stock.at(-1);
  const phases = /* @__PURE__ */ new Map();
  const rows = [];
  let end = 0;
  const best = ({ ways }) => ways.reduce((one, other) => other[0] > other[1] !== isUpright ? other : one);
  const sorted = things.map((thing) => ({ thing, way: best(thing) })).sort((a, b) => b.way[1] - a.way[1] || b.way[0] - a.way[0]);
  const placeIn = (row, [w, h], match, isNew) => {
    const phase = lattice && match ? cornerPhase(match, lattice, row.free, row.y, phases) : null;
    const x = phase ? nextAcross(row.free, phase[0], lattice) : row.free;
    const y = phase ? nextAlong(x, row.y, phase, lattice) : row.y;
    if (x + w > right || !isNew && y + h > row.y + row.height) return null;
    return { x, y, w, h };
  };
  for (const { thing, way } of sorted) {
    const { ways, match } = thing;
    let found = null;
    for (const row2 of rows) {
      const at2 = [way, ...ways].map((one) => placeIn(row2, one, match, false)).find((one) => one !== null);
      if (!at2) continue;
      found = { row: row2, at: at2 };
      break;
    }
    if (!found) {
      const row2 = { y: end, height: 0, free: left };
      const at2 = placeIn(row2, way, match, true);
      if (!at2) continue;
      rows.push(row2);
      row2.height = at2.y + at2.h - row2.y;
      end = row2.y + row2.height + gap;
      found = { row: row2, at: at2 };
    }
    const { row, at } = found;
    row.free = at.x + at.w + gap;
    if (match?.group && lattice && !phases.has(match.group))
      phases.set(match.group, phaseOf(at.x + match.anchor[0] - match.offset[0], at.y + match.anchor[1] - match.offset[1], lattice));
  }
  return Math.max(0, end - gap);
}
function cornerPhase({ anchor, offset, group }, lattice, x, y, phases) {
  const [dx, dy] = [anchor[0] - offset[0], anchor[1] - offset[1]];
  if (group === null) return phaseOf(-dx, -dy, lattice);
  const phase = phases.get(group) ?? phaseOf(x + dx, y + dy, lattice);
  return phaseOf(phase[0] - dx, phase[1] - dy, lattice);
}

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

// src/bench/browser.ts
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import puppeteer from "puppeteer-core";
var CHROMIUM = "/usr/bin/chromium";
async function layInBrowser(folder, question) {
  if (!existsSync(CHROMIUM)) return null;
  const source = readFileSync(join(folder, "browser-worker.mjs"), "utf8");
  const browser = await puppeteer.launch({ executablePath: CHROMIUM, args: ["--no-sandbox", "--disable-gpu"] });
  try {
    const page = await browser.newPage();
    return await page.evaluate(measure, source, question);
  } finally {
    await browser.close();
  }
}
async function measure(source, question) {
  const url = URL.createObjectURL(new Blob([source], { type: "text/javascript" }));
  const worker = new Worker(url);
  await new Promise((resolve, reject) => {
    worker.onmessage = resolve;
    worker.onerror = ({ message }) => reject(new Error(`The worker did not load: ${message}`));
  });
  const frames = [];
  let last = performance.now();
  const frame = () => {
    const now2 = performance.now();
    frames.push(now2 - last);
    last = now2;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
  const ask = () => new Promise((resolve, reject) => {
    const start = performance.now();
    let first = null;
    worker.onerror = ({ message }) => reject(new Error(message));
    worker.onmessage = () => {
      if (first !== null) resolve(first);
      first ??= performance.now() - start;
    };
    worker.postMessage(question);
  });
  const cold = await ask();
  frames.length = 0;
  const warm = await ask();
  const sorted = [...frames].sort((a, b) => a - b);
  return { cold, warm, longestFrame: sorted.at(-1), usualFrame: sorted[Math.floor(sorted.length / 2)] };
}

// src/bench/hostile.ts
var HOSTILE = {
  "a number beyond all": () => job({ pieces: [piece({ size: [1, 7] })] }).replace("[1,7]", "[1,1e308]"),
  "not a number": () => job({ pieces: [piece({ size: [1, 7] })] }).replace("[1,7]", "[1,NaN]"),
  "a number as text": () => job({ pieces: [piece({ size: ["NaN", 7] })] }),
  "nested a hundred thousand deep": () => "[".repeat(1e5) + "]".repeat(1e5),
  "a thousand million copies": () => job({ pieces: [piece({ qty: 1e9 })] }),
  "many pieces of many copies": () => job({ pieces: Array.from({ length: 2e3 }, (_, i) => piece({ id: `p${i}`, qty: 6 })) }),
  // prettier-ignore
  "a file of more than 10 MB": () => job({ pieces: [piece({ id: "x".repeat(101e5) })] }),
  "nearly 10 MB of pieces": () => job({ pieces: Array.from({ length: 2e5 }, (_, i) => piece({ id: `p${i}` })) }),
  "an outline that crosses itself": () => job({ pieces: [{ id: "a", outline: [[0, 0], [9, 9], [9, 0], [0, 9]] }] }),
  // prettier-ignore
  "a crossing at the end of 2,000 corners": () => job({ pieces: [{ id: "a", outline: comb(2e3) }] }),
  "more corners than are read": () => job({ pieces: [{ id: "a", outline: comb(1e5) }] }),
  "an empty file": () => ""
};
var piece = (rest) => ({ id: "a", size: [10, 12], ...rest });
var job = (rest) => JSON.stringify({
  format: "jolly-bolt/lay-job",
  version: 1,
  units: "in",
  cloth: { name: "hostile", width: 54, turns: "half" },
  ...rest
});
function comb(n) {
  const teeth = Array.from({ length: n - 4 }, (_, i) => [i / n, i % 2 === 0 ? 1 : 2]);
  return [[0, 0], ...teeth, [1, 0.5], [1, 0], [0.5, 1.5]];
}

// src/bench/jobs.ts
function dissect(width, height, count, random) {
  const boxes = [{ x: 0, y: 0, w: width, h: height }];
  while (boxes.length < count) {
    const largest = boxes.reduce((best, box, i) => box.w * box.h > boxes[best].w * boxes[best].h ? i : best, 0);
    const { x, y, w, h } = boxes[largest];
    const isAcross = w > h;
    const long = isAcross ? w : h;
    const cut = Math.round(8 * long * (0.3 + 0.4 * random.next())) / 8;
    const parts = isAcross ? [{ x, y, w: cut, h }, { x: x + cut, y, w: w - cut, h }] : [{ x, y, w, h: cut }, { x, y: y + cut, w, h: h - cut }];
    boxes.splice(largest, 1, ...parts);
  }
  return boxes;
}
var DISSECTED_REPEAT = { across: 11, along: 9.5, drop: 0.5 };
function dissectedPieces(boxes, random, isMatched) {
  return boxes.map(({ x, y, w, h }, i) => {
    const piece2 = { id: `p${i}`, size: [w, h], qty: 1 };
    const kind = isMatched ? random.below(3) : 2;
    if (kind === 0) return { ...piece2, match: { anchor: [0, 0], at: [x, y] } };
    return kind === 1 ? { ...piece2, match: { anchor: [0, 0], group: "g", delta: [x, y] } } : piece2;
  });
}
var SHAVED_REPEAT = { across: 13.5, along: 12.5, drop: 0 };
var SHAVED_GROUPS = 6;
var MOST_SHAVED = 1.5;
function shavedJob(n, seed, isMatched) {
  const random = new Random(seed);
  const less = (side2) => side2 - Math.round(8 * MOST_SHAVED * random.next()) / 8;
  const boxes = dissect(53, Math.round(4.5 * n), n, random).map(({ x, y, w, h }) => ({
    x: x + 0.5,
    y,
    w: less(w),
    h: less(h)
  }));
  const matchOf = (x, y) => {
    const dice = isMatched ? random.next() : 0;
    if (dice < 0.35) return {};
    if (dice < 0.5) return { match: { anchor: [0, 0], at: [x % SHAVED_REPEAT.across, y % SHAVED_REPEAT.along] } };
    return { match: { anchor: [0, 0], group: `g${random.below(SHAVED_GROUPS)}`, delta: [x, y] } };
  };
  const pieces = boxes.map(({ x, y, w, h }, i) => ({ id: `p${i}`, size: [w, h], ...matchOf(x, y) }));
  const job2 = toJob({
    cloth: {
      name: "shaved",
      width: 54,
      selvage: [0.5, 0.5],
      turns: isMatched ? "none" : "half",
      ...isMatched && { repeat: SHAVED_REPEAT }
    },
    pieces
  });
  return { job: job2, best: Math.max(...boxes.map(({ y, h }) => y + h)), boxes };
}
function dissectedJob(n, seed, kind) {
  const random = new Random(seed);
  const best = Math.round(8 + n * 1.4);
  const isMatched = kind === "matched";
  const job2 = toJob({
    cloth: {
      name: "dissection",
      width: 54,
      turns: isMatched ? "none" : "any",
      ...isMatched && { repeat: DISSECTED_REPEAT }
    },
    cut: kind === "straight" ? "straight" : "free",
    pieces: dissectedPieces(dissect(54, best, n, random), random, isMatched)
  });
  return { job: job2, best };
}
function shakenGrid(width, length2, across, along, random) {
  const at = (i, count, whole2) => whole2 / count * (i + (i > 0 && i < count ? 0.4 * (random.next() - 0.5) : 0));
  const corners = Array.from(
    { length: along + 1 },
    (_, j) => Array.from({ length: across + 1 }, (_2, i) => [at(i, across, width), at(j, along, length2)])
  );
  return Array.from({ length: across * along }, (_, k) => {
    const [i, j] = [k % across, Math.floor(k / across)];
    const ring = [corners[j][i], corners[j][i + 1], corners[j + 1][i + 1], corners[j + 1][i]];
    return { id: `p${k}`, outline: turned2(ring, random.below(4)), qty: 1 };
  });
}
function turned2(ring, quarters) {
  let turning = [...ring];
  for (let q = 0; q < quarters; q++) turning = turning.map(([x, y]) => [-y, x]);
  const [left, low] = [Math.min(...turning.map(([x]) => x)), Math.min(...turning.map(([, y]) => y))];
  return turning.map(([x, y]) => [Math.round((x - left) * 1e6) / 1e6, Math.round((y - low) * 1e6) / 1e6]);
}
function fused(one, other) {
  if (one.x + one.w === other.x) {
    if (Math.min(one.y + one.h, other.y + other.h) <= Math.max(one.y, other.y)) return null;
    const [meet, far] = [other.x, other.x + other.w];
    return [
      [one.x, one.y],
      [meet, one.y],
      [meet, other.y],
      [far, other.y],
      [far, other.y + other.h],
      [meet, other.y + other.h],
      [meet, one.y + one.h],
      [one.x, one.y + one.h]
    ];
  }
  const flip = ({ x, y, w, h }) => ({ x: y, y: x, w: h, h: w });
  if (one.y + one.h !== other.y) return null;
  return fused(flip(one), flip(other))?.map(([x, y]) => [y, x]).reverse() ?? null;
}
function fusedJob(n, seed) {
  const random = new Random(seed);
  const best = Math.round(8 + 2 * n);
  const boxes = dissect(54, best, Math.round(1.4 * n), random);
  const rings = [];
  const joined = (one, other) => fused(one, other) ?? fused(other, one);
  while (boxes.length + rings.length > n) {
    const one = boxes.splice(random.below(boxes.length), 1)[0];
    const beside = boxes.flatMap((other2, k) => joined(one, other2) ? [k] : []);
    const at = beside[random.below(beside.length)];
    if (at === void 0) {
      rings.push([[one.x, one.y], [one.x + one.w, one.y], [one.x + one.w, one.y + one.h], [one.x, one.y + one.h]]);
      continue;
    }
    const other = boxes.splice(at, 1)[0];
    rings.push(joined(one, other).filter((p, k, all) => p.join() !== all.at(k - 1).join()));
  }
  const pieces = [
    ...rings.map((ring, k) => ({ id: `r${k}`, outline: turned2(ring, random.below(4)), qty: 1 })),
    ...boxes.map(({ w, h }, k) => ({ id: `b${k}`, size: [w, h], qty: 1 }))
  ];
  return { job: toJob({ cloth: { name: "fused", width: 54, turns: "any" }, pieces }), best };
}
function shakenJob(n, seed) {
  const across = Math.round(Math.sqrt(n / 1.3));
  const along = Math.round(n / across);
  const best = 9 * along;
  const pieces = shakenGrid(54, best, across, along, new Random(seed));
  return { job: toJob({ cloth: { name: "shaken", width: 54, turns: "any" }, pieces }), best };
}
var PUBLISHED = [
  {
    name: "C1, problem 1",
    width: 20,
    best: 20,
    sizes: [[2, 12], [7, 12], [8, 6], [3, 6], [3, 5], [5, 5], [3, 12], [3, 7], [5, 7], [2, 6], [3, 2], [4, 2], [3, 4], [4, 4], [9, 2], [11, 2]]
    // prettier-ignore
  },
  {
    name: "C2, problem 2",
    width: 40,
    best: 15,
    sizes: [[11, 2, 2], [2, 3], [10, 7], [8, 4, 2], [9, 5], [7, 2], [4, 1], [6, 1], [4, 5], [8, 3], [1, 3], [5, 5], [3, 1], [12, 4], [6, 2, 2], [2, 4], [11, 4], [10, 2], [3, 2, 2], [3, 4], [26, 4]]
    // prettier-ignore
  }
];
var publishedJob = ({ width, sizes }) => toJob({
  cloth: { name: "published", width, turns: "any" },
  pieces: sizes.map(([w, h, qty = 1], i) => ({ id: `p${i}`, size: [w, h], qty }))
});
function workroomJob(n, isMatched) {
  const pieces = Array.from(
    { length: Math.ceil(n / 6) },
    (_, i) => [15 + i * 7 % 12, 13 + i * 5 % 11]
  ).flatMap(([w, h], i) => [
    { id: `${i} front`, size: [w, h], qty: 2, ...isMatched && { match: { group: `${i}` } } },
    { id: `${i} back`, size: [w, (h + 6) / 2 + 0.5], qty: 4 }
  ]);
  return toJob({
    cloth: {
      name: "bench",
      width: 54,
      selvage: [0.5, 0.5],
      turns: "half",
      ...isMatched && { repeat: { across: 11, along: 9, drop: 0.5 } }
    },
    pieces,
    strips: [{ id: "piping", width: 1.5, length: 200, grain: "bias", loss: 1.5, least: 12 }]
  });
}
function toJob(rest) {
  const job2 = readJob({ format: "jolly-bolt/lay-job", version: 1, units: "in", ...rest });
  if (!job2.ok) throw new Error(job2.faults[0].message);
  return job2.value;
}

// node_modules/@mapbox/shelf-pack/index.mjs
var shelf_pack_default = ShelfPack;
function ShelfPack(w, h, options) {
  options = options || {};
  this.w = w || 64;
  this.h = h || 64;
  this.autoResize = !!options.autoResize;
  this.shelves = [];
  this.freebins = [];
  this.stats = {};
  this.bins = {};
  this.maxId = 0;
}
ShelfPack.prototype.pack = function(bins, options) {
  bins = [].concat(bins);
  options = options || {};
  var results = [], w, h, id, allocation;
  for (var i = 0; i < bins.length; i++) {
    w = bins[i].w || bins[i].width;
    h = bins[i].h || bins[i].height;
    id = bins[i].id;
    if (w && h) {
      allocation = this.packOne(w, h, id);
      if (!allocation) {
        continue;
      }
      if (options.inPlace) {
        bins[i].x = allocation.x;
        bins[i].y = allocation.y;
        bins[i].id = allocation.id;
      }
      results.push(allocation);
    }
  }
  this.shrink();
  return results;
};
ShelfPack.prototype.packOne = function(w, h, id) {
  var best = { freebin: -1, shelf: -1, waste: Infinity }, y = 0, bin, shelf, waste, i;
  if (typeof id === "string" || typeof id === "number") {
    bin = this.getBin(id);
    if (bin) {
      this.ref(bin);
      return bin;
    }
    if (typeof id === "number") {
      this.maxId = Math.max(id, this.maxId);
    }
  } else {
    id = ++this.maxId;
  }
  for (i = 0; i < this.freebins.length; i++) {
    bin = this.freebins[i];
    if (h === bin.maxh && w === bin.maxw) {
      return this.allocFreebin(i, w, h, id);
    }
    if (h > bin.maxh || w > bin.maxw) {
      continue;
    }
    if (h <= bin.maxh && w <= bin.maxw) {
      waste = bin.maxw * bin.maxh - w * h;
      if (waste < best.waste) {
        best.waste = waste;
        best.freebin = i;
      }
    }
  }
  for (i = 0; i < this.shelves.length; i++) {
    shelf = this.shelves[i];
    y += shelf.h;
    if (w > shelf.free) {
      continue;
    }
    if (h === shelf.h) {
      return this.allocShelf(i, w, h, id);
    }
    if (h > shelf.h) {
      continue;
    }
    if (h < shelf.h) {
      waste = (shelf.h - h) * w;
      if (waste < best.waste) {
        best.freebin = -1;
        best.waste = waste;
        best.shelf = i;
      }
    }
  }
  if (best.freebin !== -1) {
    return this.allocFreebin(best.freebin, w, h, id);
  }
  if (best.shelf !== -1) {
    return this.allocShelf(best.shelf, w, h, id);
  }
  if (h <= this.h - y && w <= this.w) {
    shelf = new Shelf(y, this.w, h);
    return this.allocShelf(this.shelves.push(shelf) - 1, w, h, id);
  }
  if (this.autoResize) {
    var h1, h2, w1, w2;
    h1 = h2 = this.h;
    w1 = w2 = this.w;
    if (w1 <= h1 || w > w1) {
      w2 = Math.max(w, w1) * 2;
    }
    if (h1 < w1 || h > h1) {
      h2 = Math.max(h, h1) * 2;
    }
    this.resize(w2, h2);
    return this.packOne(w, h, id);
  }
  return null;
};
ShelfPack.prototype.allocFreebin = function(index, w, h, id) {
  var bin = this.freebins.splice(index, 1)[0];
  bin.id = id;
  bin.w = w;
  bin.h = h;
  bin.refcount = 0;
  this.bins[id] = bin;
  this.ref(bin);
  return bin;
};
ShelfPack.prototype.allocShelf = function(index, w, h, id) {
  var shelf = this.shelves[index];
  var bin = shelf.alloc(w, h, id);
  this.bins[id] = bin;
  this.ref(bin);
  return bin;
};
ShelfPack.prototype.shrink = function() {
  if (this.shelves.length > 0) {
    var w2 = 0;
    var h2 = 0;
    for (var j = 0; j < this.shelves.length; j++) {
      var shelf = this.shelves[j];
      h2 += shelf.h;
      w2 = Math.max(shelf.w - shelf.free, w2);
    }
    this.resize(w2, h2);
  }
};
ShelfPack.prototype.getBin = function(id) {
  return this.bins[id];
};
ShelfPack.prototype.ref = function(bin) {
  if (++bin.refcount === 1) {
    var h = bin.h;
    this.stats[h] = (this.stats[h] | 0) + 1;
  }
  return bin.refcount;
};
ShelfPack.prototype.unref = function(bin) {
  if (bin.refcount === 0) {
    return 0;
  }
  if (--bin.refcount === 0) {
    this.stats[bin.h]--;
    delete this.bins[bin.id];
    this.freebins.push(bin);
  }
  return bin.refcount;
};
ShelfPack.prototype.clear = function() {
  this.shelves = [];
  this.freebins = [];
  this.stats = {};
  this.bins = {};
  this.maxId = 0;
};
ShelfPack.prototype.resize = function(w, h) {
  this.w = w;
  this.h = h;
  for (var i = 0; i < this.shelves.length; i++) {
    this.shelves[i].resize(w);
  }
  return true;
};
function Shelf(y, w, h) {
  this.x = 0;
  this.y = y;
  this.w = this.free = w;
  this.h = h;
}
Shelf.prototype.alloc = function(w, h, id) {
  if (w > this.free || h > this.h) {
    return null;
  }
  var x = this.x;
  this.x += w;
  this.free -= w;
  return new Bin(id, x, this.y, w, h, w, this.h);
};
Shelf.prototype.resize = function(w) {
  this.free += w - this.w;
  this.w = w;
  return true;
};
function Bin(id, x, y, w, h, maxw, maxh) {
  this.id = id;
  this.x = x;
  this.y = y;
  this.w = w;
  this.h = h;
  this.maxw = maxw || w;
  this.maxh = maxh || h;
  this.refcount = 0;
}

// node_modules/maxrects-packer/dist/maxrects-packer.mjs
var Rectangle = (function() {
  function Rectangle2(width, height, x, y, rot, allowRotation) {
    if (width === void 0) {
      width = 0;
    }
    if (height === void 0) {
      height = 0;
    }
    if (x === void 0) {
      x = 0;
    }
    if (y === void 0) {
      y = 0;
    }
    if (rot === void 0) {
      rot = false;
    }
    if (allowRotation === void 0) {
      allowRotation = void 0;
    }
    this.oversized = false;
    this._rot = false;
    this._allowRotation = void 0;
    this._dirty = 0;
    this._width = width;
    this._height = height;
    this._x = x;
    this._y = y;
    this._data = {};
    this._rot = rot;
    this._allowRotation = allowRotation;
  }
  Rectangle2.Collide = function(first, second) {
    return first.collide(second);
  };
  Rectangle2.Contain = function(first, second) {
    return first.contain(second);
  };
  Rectangle2.prototype.area = function() {
    return this.width * this.height;
  };
  Rectangle2.prototype.collide = function(rect) {
    return rect.x < this.x + this.width && rect.x + rect.width > this.x && rect.y < this.y + this.height && rect.y + rect.height > this.y;
  };
  Rectangle2.prototype.contain = function(rect) {
    return rect.x >= this.x && rect.y >= this.y && rect.x + rect.width <= this.x + this.width && rect.y + rect.height <= this.y + this.height;
  };
  Object.defineProperty(Rectangle2.prototype, "width", {
    get: function() {
      return this._width;
    },
    set: function(value) {
      if (value === this._width)
        return;
      this._width = value;
      this._dirty++;
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(Rectangle2.prototype, "height", {
    get: function() {
      return this._height;
    },
    set: function(value) {
      if (value === this._height)
        return;
      this._height = value;
      this._dirty++;
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(Rectangle2.prototype, "x", {
    get: function() {
      return this._x;
    },
    set: function(value) {
      if (value === this._x)
        return;
      this._x = value;
      this._dirty++;
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(Rectangle2.prototype, "y", {
    get: function() {
      return this._y;
    },
    set: function(value) {
      if (value === this._y)
        return;
      this._y = value;
      this._dirty++;
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(Rectangle2.prototype, "rot", {
    get: function() {
      return this._rot;
    },
    set: function(value) {
      if (this._allowRotation === false)
        return;
      if (this._rot !== value) {
        var tmp = this.width;
        this.width = this.height;
        this.height = tmp;
        this._rot = value;
        this._dirty++;
      }
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(Rectangle2.prototype, "allowRotation", {
    get: function() {
      return this._allowRotation;
    },
    set: function(value) {
      if (this._allowRotation !== value) {
        this._allowRotation = value;
        this._dirty++;
      }
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(Rectangle2.prototype, "data", {
    get: function() {
      return this._data;
    },
    set: function(value) {
      if (value === null || value === this._data)
        return;
      this._data = value;
      if (typeof value === "object" && value.hasOwnProperty("allowRotation")) {
        this._allowRotation = value.allowRotation;
      }
      this._dirty++;
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(Rectangle2.prototype, "dirty", {
    get: function() {
      return this._dirty > 0;
    },
    enumerable: false,
    configurable: true
  });
  Rectangle2.prototype.setDirty = function(value) {
    if (value === void 0) {
      value = true;
    }
    this._dirty = value ? this._dirty + 1 : 0;
  };
  return Rectangle2;
})();
var extendStatics = function(d, b) {
  extendStatics = Object.setPrototypeOf || { __proto__: [] } instanceof Array && function(d2, b2) {
    d2.__proto__ = b2;
  } || function(d2, b2) {
    for (var p in b2) if (Object.prototype.hasOwnProperty.call(b2, p)) d2[p] = b2[p];
  };
  return extendStatics(d, b);
};
function __extends(d, b) {
  if (typeof b !== "function" && b !== null)
    throw new TypeError("Class extends value " + String(b) + " is not a constructor or null");
  extendStatics(d, b);
  function __() {
    this.constructor = d;
  }
  d.prototype = b === null ? Object.create(b) : (__.prototype = b.prototype, new __());
}
var __assign = function() {
  __assign = Object.assign || function __assign2(t) {
    for (var s, i = 1, n = arguments.length; i < n; i++) {
      s = arguments[i];
      for (var p in s) if (Object.prototype.hasOwnProperty.call(s, p)) t[p] = s[p];
    }
    return t;
  };
  return __assign.apply(this, arguments);
};
var EDGE_MAX_VALUE = 4096;
var PACKING_LOGIC;
(function(PACKING_LOGIC2) {
  PACKING_LOGIC2[PACKING_LOGIC2["MAX_AREA"] = 0] = "MAX_AREA";
  PACKING_LOGIC2[PACKING_LOGIC2["MAX_EDGE"] = 1] = "MAX_EDGE";
  PACKING_LOGIC2[PACKING_LOGIC2["FILL_WIDTH"] = 2] = "FILL_WIDTH";
})(PACKING_LOGIC || (PACKING_LOGIC = {}));
var Bin2 = (function() {
  function Bin3() {
    this._dirty = 0;
  }
  Object.defineProperty(Bin3.prototype, "dirty", {
    get: function() {
      return this._dirty > 0 || this.rects.some(function(rect) {
        return rect.dirty;
      });
    },
    enumerable: false,
    configurable: true
  });
  Bin3.prototype.setDirty = function(value) {
    if (value === void 0) {
      value = true;
    }
    this._dirty = value ? this._dirty + 1 : 0;
    if (!value) {
      for (var _i = 0, _a = this.rects; _i < _a.length; _i++) {
        var rect = _a[_i];
        if (rect.setDirty)
          rect.setDirty(false);
      }
    }
  };
  return Bin3;
})();
var MaxRectsBin = (function(_super) {
  __extends(MaxRectsBin2, _super);
  function MaxRectsBin2(maxWidth, maxHeight, padding, options) {
    if (maxWidth === void 0) {
      maxWidth = EDGE_MAX_VALUE;
    }
    if (maxHeight === void 0) {
      maxHeight = EDGE_MAX_VALUE;
    }
    if (padding === void 0) {
      padding = 0;
    }
    if (options === void 0) {
      options = {};
    }
    var _this = _super.call(this) || this;
    _this.maxWidth = maxWidth;
    _this.maxHeight = maxHeight;
    _this.padding = padding;
    _this.freeRects = [];
    _this.rects = [];
    _this.verticalExpand = false;
    _this.options = {
      smart: true,
      pot: true,
      square: false,
      allowRotation: false,
      tag: false,
      exclusiveTag: true,
      border: 0,
      logic: PACKING_LOGIC.MAX_EDGE
    };
    _this.options = __assign(__assign({}, _this.options), options);
    _this.width = _this.options.smart ? 0 : maxWidth;
    _this.height = _this.options.smart ? 0 : maxHeight;
    _this.border = _this.options.border ? _this.options.border : 0;
    _this.freeRects.push(new Rectangle(_this.maxWidth + _this.padding - _this.border * 2, _this.maxHeight + _this.padding - _this.border * 2, _this.border, _this.border));
    _this.stage = new Rectangle(_this.width, _this.height);
    return _this;
  }
  MaxRectsBin2.prototype.add = function() {
    var args = [];
    for (var _i = 0; _i < arguments.length; _i++) {
      args[_i] = arguments[_i];
    }
    var data;
    var rect;
    if (args.length === 1) {
      if (typeof args[0] !== "object")
        throw new Error("MacrectsBin.add(): Wrong parameters");
      rect = args[0];
      var tag = rect.data && rect.data.tag ? rect.data.tag : rect.tag ? rect.tag : void 0;
      if (this.options.tag && this.options.exclusiveTag && this.tag !== tag)
        return void 0;
    } else {
      data = args.length > 2 ? args[2] : null;
      if (this.options.tag && this.options.exclusiveTag) {
        if (data && this.tag !== data.tag)
          return void 0;
        if (!data && this.tag)
          return void 0;
      }
      rect = new Rectangle(args[0], args[1]);
      rect.data = data;
      rect.setDirty(false);
    }
    var result = this.place(rect);
    if (result)
      this.rects.push(result);
    return result;
  };
  MaxRectsBin2.prototype.repack = function() {
    var unpacked = [];
    this.reset();
    this.rects.sort(function(a, b) {
      var result = Math.max(b.width, b.height) - Math.max(a.width, a.height);
      if (result === 0 && a.hash && b.hash) {
        return a.hash > b.hash ? -1 : 1;
      } else
        return result;
    });
    for (var _i = 0, _a = this.rects; _i < _a.length; _i++) {
      var rect = _a[_i];
      if (!this.place(rect)) {
        unpacked.push(rect);
      }
    }
    for (var _b = 0, unpacked_1 = unpacked; _b < unpacked_1.length; _b++) {
      var rect = unpacked_1[_b];
      this.rects.splice(this.rects.indexOf(rect), 1);
    }
    return unpacked.length > 0 ? unpacked : void 0;
  };
  MaxRectsBin2.prototype.reset = function(deepReset, resetOption) {
    if (deepReset === void 0) {
      deepReset = false;
    }
    if (resetOption === void 0) {
      resetOption = false;
    }
    if (deepReset) {
      if (this.data)
        delete this.data;
      if (this.tag)
        delete this.tag;
      this.rects = [];
      if (resetOption) {
        this.options = {
          smart: true,
          pot: true,
          square: true,
          allowRotation: false,
          tag: false,
          border: 0
        };
      }
    }
    this.width = this.options.smart ? 0 : this.maxWidth;
    this.height = this.options.smart ? 0 : this.maxHeight;
    this.border = this.options.border ? this.options.border : 0;
    this.freeRects = [new Rectangle(this.maxWidth + this.padding - this.border * 2, this.maxHeight + this.padding - this.border * 2, this.border, this.border)];
    this.stage = new Rectangle(this.width, this.height);
    this._dirty = 0;
  };
  MaxRectsBin2.prototype.clone = function() {
    var clonedBin = new MaxRectsBin2(this.maxWidth, this.maxHeight, this.padding, this.options);
    for (var _i = 0, _a = this.rects; _i < _a.length; _i++) {
      var rect = _a[_i];
      clonedBin.add(rect);
    }
    return clonedBin;
  };
  MaxRectsBin2.prototype.place = function(rect) {
    var tag = rect.data && rect.data.tag ? rect.data.tag : rect.tag ? rect.tag : void 0;
    if (this.options.tag && this.options.exclusiveTag && this.tag !== tag)
      return void 0;
    var node;
    var allowRotation;
    if (rect.hasOwnProperty("_allowRotation") && rect.allowRotation !== void 0) {
      allowRotation = rect.allowRotation;
    } else {
      allowRotation = this.options.allowRotation;
    }
    node = this.findNode(rect.width + this.padding, rect.height + this.padding, allowRotation);
    if (node) {
      this.updateBinSize(node);
      var numRectToProcess = this.freeRects.length;
      var i = 0;
      while (i < numRectToProcess) {
        if (this.splitNode(this.freeRects[i], node)) {
          this.freeRects.splice(i, 1);
          numRectToProcess--;
          i--;
        }
        i++;
      }
      this.pruneFreeList();
      this.verticalExpand = this.options.logic === PACKING_LOGIC.FILL_WIDTH ? false : this.width > this.height ? true : false;
      rect.x = node.x;
      rect.y = node.y;
      if (rect.rot === void 0)
        rect.rot = false;
      rect.rot = node.rot ? !rect.rot : rect.rot;
      this._dirty++;
      return rect;
    } else if (!this.verticalExpand) {
      if (this.updateBinSize(new Rectangle(rect.width + this.padding, rect.height + this.padding, this.width + this.padding - this.border, this.border)) || this.updateBinSize(new Rectangle(rect.width + this.padding, rect.height + this.padding, this.border, this.height + this.padding - this.border))) {
        return this.place(rect);
      }
    } else {
      if (this.updateBinSize(new Rectangle(rect.width + this.padding, rect.height + this.padding, this.border, this.height + this.padding - this.border)) || this.updateBinSize(new Rectangle(rect.width + this.padding, rect.height + this.padding, this.width + this.padding - this.border, this.border))) {
        return this.place(rect);
      }
    }
    return void 0;
  };
  MaxRectsBin2.prototype.findNode = function(width, height, allowRotation) {
    var _this = this;
    var score = Number.MAX_VALUE;
    var areaFit;
    var r;
    var bestNode;
    var _loop_1 = function(i2) {
      r = this_1.freeRects[i2];
      if (r.width >= width && r.height >= height) {
        if (this_1.options.logic === PACKING_LOGIC.MAX_AREA) {
          areaFit = r.width * r.height - width * height;
        } else if (this_1.options.logic === PACKING_LOGIC.FILL_WIDTH) {
          var currentRectPositionScore_1 = r.x + r.y * this_1.maxWidth;
          var numberOfBetterRects = this_1.freeRects.filter(function(rect) {
            return rect.x + rect.y * _this.maxWidth < currentRectPositionScore_1;
          }).length;
          var heightToGain = r.y + height - this_1.height;
          areaFit = numberOfBetterRects + heightToGain;
        } else {
          areaFit = Math.min(r.width - width, r.height - height);
        }
        if (areaFit < score) {
          bestNode = new Rectangle(width, height, r.x, r.y);
          score = areaFit;
        }
      }
      if (!allowRotation)
        return "continue";
      if (r.width >= height && r.height >= width) {
        if (this_1.options.logic === PACKING_LOGIC.MAX_AREA) {
          areaFit = r.width * r.height - height * width;
        } else if (this_1.options.logic === PACKING_LOGIC.FILL_WIDTH) {
          var currentRectPositionScore_2 = r.x + r.y * this_1.maxWidth;
          var numberOfBetterRects = this_1.freeRects.filter(function(rect) {
            return rect.x + rect.y * _this.maxWidth < currentRectPositionScore_2;
          }).length;
          var heightToGain = r.y + width - this_1.height;
          areaFit = numberOfBetterRects + heightToGain;
        } else {
          areaFit = Math.min(r.height - width, r.width - height);
        }
        if (areaFit < score) {
          bestNode = new Rectangle(height, width, r.x, r.y, true);
          score = areaFit;
        }
      }
    };
    var this_1 = this;
    for (var i in this.freeRects) {
      _loop_1(i);
    }
    return bestNode;
  };
  MaxRectsBin2.prototype.splitNode = function(freeRect, usedNode) {
    if (!freeRect.collide(usedNode))
      return false;
    if (usedNode.x < freeRect.x + freeRect.width && usedNode.x + usedNode.width > freeRect.x) {
      if (usedNode.y > freeRect.y && usedNode.y < freeRect.y + freeRect.height) {
        var newNode = new Rectangle(freeRect.width, usedNode.y - freeRect.y, freeRect.x, freeRect.y);
        this.freeRects.push(newNode);
      }
      if (usedNode.y + usedNode.height < freeRect.y + freeRect.height) {
        var newNode = new Rectangle(freeRect.width, freeRect.y + freeRect.height - (usedNode.y + usedNode.height), freeRect.x, usedNode.y + usedNode.height);
        this.freeRects.push(newNode);
      }
    }
    if (usedNode.y < freeRect.y + freeRect.height && usedNode.y + usedNode.height > freeRect.y) {
      if (usedNode.x > freeRect.x && usedNode.x < freeRect.x + freeRect.width) {
        var newNode = new Rectangle(usedNode.x - freeRect.x, freeRect.height, freeRect.x, freeRect.y);
        this.freeRects.push(newNode);
      }
      if (usedNode.x + usedNode.width < freeRect.x + freeRect.width) {
        var newNode = new Rectangle(freeRect.x + freeRect.width - (usedNode.x + usedNode.width), freeRect.height, usedNode.x + usedNode.width, freeRect.y);
        this.freeRects.push(newNode);
      }
    }
    return true;
  };
  MaxRectsBin2.prototype.pruneFreeList = function() {
    var i = 0;
    var j = 0;
    var len = this.freeRects.length;
    while (i < len) {
      j = i + 1;
      var tmpRect1 = this.freeRects[i];
      while (j < len) {
        var tmpRect2 = this.freeRects[j];
        if (tmpRect2.contain(tmpRect1)) {
          this.freeRects.splice(i, 1);
          i--;
          len--;
          break;
        }
        if (tmpRect1.contain(tmpRect2)) {
          this.freeRects.splice(j, 1);
          j--;
          len--;
        }
        j++;
      }
      i++;
    }
  };
  MaxRectsBin2.prototype.updateBinSize = function(node) {
    if (!this.options.smart)
      return false;
    if (this.stage.contain(node))
      return false;
    var tmpWidth = Math.max(this.width, node.x + node.width - this.padding + this.border);
    var tmpHeight = Math.max(this.height, node.y + node.height - this.padding + this.border);
    var tmpFits = !(tmpWidth > this.maxWidth || tmpHeight > this.maxHeight);
    if (this.options.allowRotation) {
      var rotWidth = Math.max(this.width, node.x + node.height - this.padding + this.border);
      var rotHeight = Math.max(this.height, node.y + node.width - this.padding + this.border);
      var rotFits = !(rotWidth > this.maxWidth || rotHeight > this.maxHeight);
      if (tmpFits && rotFits && rotWidth * rotHeight < tmpWidth * tmpHeight) {
        tmpWidth = rotWidth;
        tmpHeight = rotHeight;
      }
      if (rotFits && !tmpFits) {
        tmpWidth = rotWidth;
        tmpHeight = rotHeight;
      }
    }
    if (this.options.pot) {
      tmpWidth = Math.pow(2, Math.ceil(Math.log(tmpWidth) * Math.LOG2E));
      tmpHeight = Math.pow(2, Math.ceil(Math.log(tmpHeight) * Math.LOG2E));
    }
    if (this.options.square) {
      tmpWidth = tmpHeight = Math.max(tmpWidth, tmpHeight);
    }
    tmpFits = !(tmpWidth > this.maxWidth || tmpHeight > this.maxHeight);
    if (!tmpFits) {
      return false;
    }
    this.expandFreeRects(tmpWidth + this.padding, tmpHeight + this.padding);
    this.width = this.stage.width = tmpWidth;
    this.height = this.stage.height = tmpHeight;
    return true;
  };
  MaxRectsBin2.prototype.expandFreeRects = function(width, height) {
    var _this = this;
    this.freeRects.forEach(function(freeRect, index) {
      if (freeRect.x + freeRect.width >= Math.min(_this.width + _this.padding - _this.border, width)) {
        freeRect.width = width - freeRect.x - _this.border;
      }
      if (freeRect.y + freeRect.height >= Math.min(_this.height + _this.padding - _this.border, height)) {
        freeRect.height = height - freeRect.y - _this.border;
      }
    }, this);
    this.freeRects.push(new Rectangle(width - this.width - this.padding, height - this.border * 2, this.width + this.padding - this.border, this.border));
    this.freeRects.push(new Rectangle(width - this.border * 2, height - this.height - this.padding, this.border, this.height + this.padding - this.border));
    this.freeRects = this.freeRects.filter(function(freeRect) {
      return !(freeRect.width <= 0 || freeRect.height <= 0 || freeRect.x < _this.border || freeRect.y < _this.border);
    });
    this.pruneFreeList();
  };
  return MaxRectsBin2;
})(Bin2);
var OversizedElementBin = (function(_super) {
  __extends(OversizedElementBin2, _super);
  function OversizedElementBin2() {
    var args = [];
    for (var _i = 0; _i < arguments.length; _i++) {
      args[_i] = arguments[_i];
    }
    var _this = _super.call(this) || this;
    _this.rects = [];
    if (args.length === 1) {
      if (typeof args[0] !== "object")
        throw new Error("OversizedElementBin: Wrong parameters");
      var rect = args[0];
      _this.rects = [rect];
      _this.width = rect.width;
      _this.height = rect.height;
      _this.data = rect.data;
      rect.oversized = true;
    } else {
      _this.width = args[0];
      _this.height = args[1];
      _this.data = args.length > 2 ? args[2] : null;
      var rect = new Rectangle(_this.width, _this.height);
      rect.oversized = true;
      rect.data = _this.data;
      _this.rects.push(rect);
    }
    _this.freeRects = [];
    _this.maxWidth = _this.width;
    _this.maxHeight = _this.height;
    _this.options = { smart: false, pot: false, square: false };
    return _this;
  }
  OversizedElementBin2.prototype.add = function() {
    return void 0;
  };
  OversizedElementBin2.prototype.reset = function(deepReset) {
  };
  OversizedElementBin2.prototype.repack = function() {
    return void 0;
  };
  OversizedElementBin2.prototype.clone = function() {
    var clonedBin = new OversizedElementBin2(this.rects[0]);
    return clonedBin;
  };
  return OversizedElementBin2;
})(Bin2);
var MaxRectsPacker = (function() {
  function MaxRectsPacker2(width, height, padding, options) {
    if (width === void 0) {
      width = EDGE_MAX_VALUE;
    }
    if (height === void 0) {
      height = EDGE_MAX_VALUE;
    }
    if (padding === void 0) {
      padding = 0;
    }
    if (options === void 0) {
      options = {};
    }
    this.width = width;
    this.height = height;
    this.padding = padding;
    this.options = {
      smart: true,
      pot: true,
      square: false,
      allowRotation: false,
      tag: false,
      exclusiveTag: true,
      border: 0,
      logic: PACKING_LOGIC.MAX_EDGE
    };
    this._currentBinIndex = 0;
    this.bins = [];
    this.options = __assign(__assign({}, this.options), options);
  }
  MaxRectsPacker2.prototype.add = function() {
    var args = [];
    for (var _i = 0; _i < arguments.length; _i++) {
      args[_i] = arguments[_i];
    }
    if (args.length === 1) {
      if (typeof args[0] !== "object")
        throw new Error("MacrectsPacker.add(): Wrong parameters");
      var rect_1 = args[0];
      if (!(rect_1.width <= this.width && rect_1.height <= this.height || this.options.allowRotation && rect_1.width <= this.height && rect_1.height <= this.width)) {
        this.bins.push(new OversizedElementBin(rect_1));
      } else {
        var added = this.bins.slice(this._currentBinIndex).find(function(bin2) {
          return bin2.add(rect_1) !== void 0;
        });
        if (!added) {
          var bin = new MaxRectsBin(this.width, this.height, this.padding, this.options);
          var tag = rect_1.data && rect_1.data.tag ? rect_1.data.tag : rect_1.tag ? rect_1.tag : void 0;
          if (this.options.tag && tag)
            bin.tag = tag;
          bin.add(rect_1);
          this.bins.push(bin);
        }
      }
      return rect_1;
    } else {
      var rect_2 = new Rectangle(args[0], args[1]);
      if (args.length > 2)
        rect_2.data = args[2];
      if (!(rect_2.width <= this.width && rect_2.height <= this.height || this.options.allowRotation && rect_2.width <= this.height && rect_2.height <= this.width)) {
        this.bins.push(new OversizedElementBin(rect_2));
      } else {
        var added = this.bins.slice(this._currentBinIndex).find(function(bin2) {
          return bin2.add(rect_2) !== void 0;
        });
        if (!added) {
          var bin = new MaxRectsBin(this.width, this.height, this.padding, this.options);
          if (this.options.tag && rect_2.data.tag)
            bin.tag = rect_2.data.tag;
          bin.add(rect_2);
          this.bins.push(bin);
        }
      }
      return rect_2;
    }
  };
  MaxRectsPacker2.prototype.addArray = function(rects) {
    var _this = this;
    if (!this.options.tag || this.options.exclusiveTag) {
      this.sort(rects, this.options.logic).forEach(function(rect2) {
        return _this.add(rect2);
      });
    } else {
      if (rects.length === 0)
        return;
      rects.sort(function(a, b) {
        var aTag = a.data && a.data.tag ? a.data.tag : a.tag ? a.tag : void 0;
        var bTag = b.data && b.data.tag ? b.data.tag : b.tag ? b.tag : void 0;
        return bTag === void 0 ? -1 : aTag === void 0 ? 1 : bTag > aTag ? -1 : 1;
      });
      var currentTag_1;
      var currentIdx_1 = 0;
      var targetBin = this.bins.slice(this._currentBinIndex).find(function(bin2, binIndex) {
        var testBin = bin2.clone();
        for (var i = currentIdx_1; i < rects.length; i++) {
          var rect2 = rects[i];
          var tag2 = rect2.data && rect2.data.tag ? rect2.data.tag : rect2.tag ? rect2.tag : void 0;
          if (i === 0)
            currentTag_1 = tag2;
          if (tag2 !== currentTag_1) {
            currentTag_1 = tag2;
            _this.sort(rects.slice(currentIdx_1, i), _this.options.logic).forEach(function(r) {
              return bin2.add(r);
            });
            currentIdx_1 = i;
            _this.addArray(rects.slice(i));
            return true;
          }
          if (tag2 === void 0) {
            _this.sort(rects.slice(i), _this.options.logic).forEach(function(r) {
              return _this.add(r);
            });
            currentIdx_1 = rects.length;
            return true;
          }
          if (testBin.add(rect2) === void 0) {
            _this.sort(rects.slice(currentIdx_1, i), _this.options.logic).forEach(function(r) {
              return bin2.add(r);
            });
            currentIdx_1 = i;
            return false;
          }
        }
        _this.sort(rects.slice(currentIdx_1), _this.options.logic).forEach(function(r) {
          return bin2.add(r);
        });
        return true;
      });
      if (!targetBin) {
        var rect = rects[currentIdx_1];
        var bin = new MaxRectsBin(this.width, this.height, this.padding, this.options);
        var tag = rect.data && rect.data.tag ? rect.data.tag : rect.tag ? rect.tag : void 0;
        if (this.options.tag && this.options.exclusiveTag && tag)
          bin.tag = tag;
        this.bins.push(bin);
        bin.add(rect);
        currentIdx_1++;
        this.addArray(rects.slice(currentIdx_1));
      }
    }
  };
  MaxRectsPacker2.prototype.reset = function() {
    this.bins = [];
    this._currentBinIndex = 0;
  };
  MaxRectsPacker2.prototype.repack = function(quick) {
    if (quick === void 0) {
      quick = true;
    }
    if (quick) {
      var unpack = [];
      for (var _i = 0, _a = this.bins; _i < _a.length; _i++) {
        var bin = _a[_i];
        if (bin.dirty) {
          var up = bin.repack();
          if (up)
            unpack.push.apply(unpack, up);
        }
      }
      this.addArray(unpack);
      return;
    }
    if (!this.dirty)
      return;
    var allRects = this.rects;
    this.reset();
    this.addArray(allRects);
  };
  MaxRectsPacker2.prototype.next = function() {
    this._currentBinIndex = this.bins.length;
    return this._currentBinIndex;
  };
  MaxRectsPacker2.prototype.load = function(bins) {
    var _this = this;
    bins.forEach(function(bin, index) {
      if (bin.maxWidth > _this.width || bin.maxHeight > _this.height) {
        _this.bins.push(new OversizedElementBin(bin.width, bin.height, {}));
      } else {
        var newBin_1 = new MaxRectsBin(_this.width, _this.height, _this.padding, bin.options);
        newBin_1.freeRects.splice(0);
        bin.freeRects.forEach(function(r, i) {
          newBin_1.freeRects.push(new Rectangle(r.width, r.height, r.x, r.y));
        });
        newBin_1.width = bin.width;
        newBin_1.height = bin.height;
        if (bin.tag)
          newBin_1.tag = bin.tag;
        _this.bins[index] = newBin_1;
      }
    }, this);
  };
  MaxRectsPacker2.prototype.save = function() {
    var saveBins = [];
    this.bins.forEach((function(bin) {
      var saveBin = {
        width: bin.width,
        height: bin.height,
        maxWidth: bin.maxWidth,
        maxHeight: bin.maxHeight,
        freeRects: [],
        rects: [],
        options: bin.options
      };
      if (bin.tag)
        saveBin = __assign(__assign({}, saveBin), { tag: bin.tag });
      bin.freeRects.forEach(function(r) {
        saveBin.freeRects.push({
          x: r.x,
          y: r.y,
          width: r.width,
          height: r.height
        });
      });
      saveBins.push(saveBin);
    }));
    return saveBins;
  };
  MaxRectsPacker2.prototype.sort = function(rects, logic) {
    if (logic === void 0) {
      logic = PACKING_LOGIC.MAX_EDGE;
    }
    return rects.slice().sort(function(a, b) {
      var result = logic === PACKING_LOGIC.MAX_EDGE ? Math.max(b.width, b.height) - Math.max(a.width, a.height) : b.width * b.height - a.width * a.height;
      if (result === 0 && a.hash && b.hash) {
        return a.hash > b.hash ? -1 : 1;
      } else
        return result;
    });
  };
  Object.defineProperty(MaxRectsPacker2.prototype, "currentBinIndex", {
    get: function() {
      return this._currentBinIndex;
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(MaxRectsPacker2.prototype, "dirty", {
    get: function() {
      return this.bins.some(function(bin) {
        return bin.dirty;
      });
    },
    enumerable: false,
    configurable: true
  });
  Object.defineProperty(MaxRectsPacker2.prototype, "rects", {
    get: function() {
      var allRects = [];
      for (var _i = 0, _a = this.bins; _i < _a.length; _i++) {
        var bin = _a[_i];
        allRects.push.apply(allRects, bin.rects);
      }
      return allRects;
    },
    enumerable: false,
    configurable: true
  });
  return MaxRectsPacker2;
})();

// src/bench/libraries.ts
function lengthByLibraries(job2) {
  const { lattice, gap } = job2;
  const { left, right } = job2.stock.at(-1);
  const everything = {
    pieces: new Map(job2.pieces.map(({ id, qty }) => [id, qty])),
    strips: new Map(job2.strips.map(({ id, qty }) => [id, qty]))
  };
  const { sets } = stripSets(job2, lowerBound(job2, everything));
  const parts = [...pieceParts(job2), ...(sets[0] ?? []).flatMap(({ ways }) => ways[0].map(blockPart))];
  const whole2 = (size, repeat) => repeat > 0 ? Math.ceil(size / repeat) * repeat : size;
  const unit = NM.mm / 100;
  const boxes = parts.map(({ width, height, match }) => {
    const isBound2 = match !== null && lattice !== null;
    const [w, h] = isBound2 ? [whole2(width, lattice.across), whole2(height, lattice.along)] : [width, height];
    return { width: Math.min(right - left, w) / unit + gap / unit, height: h / unit + gap / unit };
  });
  const turns = parts.every((part) => part.turns.length > 1 || part.width === part.height);
  const widest2 = (right - left + gap) / unit;
  const orders2 = [
    (a, b) => b.height - a.height || b.width - a.width,
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => b.width - a.width || b.height - a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height)
  ];
  const lengths = orders2.flatMap((order) => {
    const sorted = boxes.toSorted(order);
    return [byMaxRects(sorted, widest2, turns), byShelves(sorted, widest2)];
  });
  return Math.min(...lengths) * unit - gap;
}
function byMaxRects(boxes, width, turns) {
  const high = boxes.reduce((sum2, box) => sum2 + Math.max(box.width, box.height), 1);
  const packer = new MaxRectsPacker(width, high, 0, { smart: false, pot: false, square: false, allowRotation: turns });
  for (const { width: w, height: h } of boxes) packer.add(w, h, null);
  if (packer.bins.length !== 1) return Infinity;
  return Math.max(...packer.bins[0].rects.map(({ y, height }) => y + height));
}
function byShelves(boxes, width) {
  const high = boxes.reduce((sum2, { height }) => sum2 + height, 1);
  const shelves = new shelf_pack_default(width, high);
  return boxes.reduce((most, { width: w, height }) => {
    const bin = shelves.packOne(w, height);
    return bin ? Math.max(most, bin.y + height) : Infinity;
  }, 0);
}

// src/core/files/limits.ts
var MOST_BYTES = 1e7;

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
import { join as join2 } from "node:path";
import { MessageChannel } from "node:worker_threads";
import Piscina from "piscina";
var held = globalThis;
var home = () => process.env.JOLLY_BOLT_HOME ?? process.cwd();
var GRACE_MS = 5e3;
var STALE_MS = 1500;
var STALE_SHARE = 0.5;
var pool = () => held.jollyBoltPool ??= new Piscina({
  filename: join2(
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
    const now2 = performance.now();
    if (best.take(progress)) betterAt = now2;
    if (endsStale && now2 - betterAt > Math.max(STALE_MS, STALE_SHARE * (now2 - start)))
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
  constructor(task, number3, cancel) {
    this.task = task;
    this.number = number3;
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
    const now2 = Atomics.load(flags, 1);
    if (now2 === 0 || passes < now2) Atomics.store(flags, 1, passes);
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

// src/cli/bench.ts
var now = () => performance2.now();
function timed(body) {
  const start = now();
  const value = body();
  return { value, ms: now() - start };
}
function benchCutList() {
  const lines = Array.from({ length: 1e3 }, (_, i) => ({
    id: String(i),
    kind: ["envelope-cushion", "zip-cushion", "boxed-cushion"][i % 3],
    qty: 1 + i % 5,
    measures: i % 3 === 2 ? { length: inches(30 + i % 9), width: inches(19), thickness: inches(3) } : { width: inches(15 + i % 11), height: inches(17) },
    options: {},
    cloth: { face: "a" }
  }));
  const times = Array.from({ length: 11 }, () => timed(() => cutList(lines, "in")).ms);
  const usual = times.slice(1).sort((a, b) => a - b)[5];
  console.log(
    `cut list of 1,000 lines: ${usual.toFixed(0)} ms (${times[0].toFixed(0)} ms the first time in a process)`
  );
}
var FAMILIES = {
  published: PUBLISHED.map((one) => ({ name: one.name, job: publishedJob(one), best: one.best })),
  ...Object.fromEntries(
    ["free", "straight", "matched"].map((kind) => [
      `dissection, ${kind}`,
      [20, 60, 200].map((n, i) => ({ name: `${n} pieces`, ...dissectedJob(n, 31 + i, kind) }))
    ])
  ),
  "outlines without waste": [12, 40].map((n, i) => ({ name: `${n} pieces`, ...shakenJob(n, 41 + i) })),
  "ells and tees without waste": [12, 26].map((n, i) => ({ name: `${n} pieces`, ...fusedJob(n, 101 + i) })),
  ...Object.fromEntries(
    [true, false].map((isMatched) => [
      `a known lay, ${isMatched ? "matched" : "plain"}`,
      [50, 80].map((n, i) => ({ name: `${n} pieces`, ...shavedJob(n, 51 + i, isMatched) }))
    ])
  ),
  "workroom, plain": [30, 100, 300].map((n) => ({ name: `${n} pieces`, job: workroomJob(n, false) })),
  "workroom, half drop": [30, 100, 300].map((n) => ({ name: `${n} pieces`, job: workroomJob(n, true) }))
};
function benchFamilies(seconds2) {
  console.log(
    `
lays on one core, ${seconds2} s each, over the optimum, the known lay or the bound: by hand, by libraries, by the engine`
  );
  for (const [family, rows] of Object.entries(FAMILIES)) {
    const ratios = rows.map(({ name: name2, job: job2, best }) => {
      const plan = nest(job2, { seconds: seconds2, clock: now });
      if (!plan.ok) throw new Error("refused");
      const reference = best === void 0 ? plan.value.bound : best * NM.in;
      const row = [handLength(job2), lengthByLibraries(job2), plan.value.used].map((one) => one / reference);
      console.log(`  ${`${family}, ${name2}`.padEnd(36)} ${row.map((one) => one.toFixed(4)).join("  ")}`);
      return row;
    });
    const mean = ratios[0].map((_, k) => ratios.reduce((sum2, row) => sum2 + row[k], 0) / ratios.length);
    console.log(`  ${`${family}, mean`.padEnd(36)} ${mean.map((one) => one.toFixed(4)).join("  ")}`);
  }
}
function benchFirstPlans() {
  console.log("\nfirst plan: median of runs, and the exponent of growth between neighbours");
  for (const isMatched of [false, true]) {
    let before = null;
    for (const n of [100, 300, 1e3, 3e3, 5e3]) {
      const job2 = workroomJob(n, isMatched);
      const runs = n <= 1e3 ? 5 : 1;
      const times = Array.from({ length: runs }, () => timed(() => nest(job2, { steps: 1, clock: now })).ms);
      const ms = times.sort((a, b) => a - b)[Math.floor(runs / 2)];
      const growth = before ? `n^${(Math.log(ms / before.ms) / Math.log(n / before.n)).toFixed(2)}` : "";
      const memory = process.memoryUsage().rss / 1e6;
      console.log(
        `  ${`${n} pieces, ${isMatched ? "half drop" : "plain"}`.padEnd(36)} ${ms.toFixed(0).padStart(6)} ms  ${growth.padEnd(6)}  ${memory.toFixed(0)} MB in all`
      );
      before = { n, ms };
    }
  }
}
async function benchBrowser() {
  const goes = 5;
  console.log(`
in a worker of a page: first lay, cold and again, median and longest of ${goes}; frames meanwhile, the longest and the usual`);
  for (const isMatched of [false, true]) {
    const name2 = `100 pieces, ${isMatched ? "half drop" : "plain"}`;
    const all = [];
    for (let go = 0; go < goes; go++) {
      const question = { pieces: 100, isMatched, seconds: 2 };
      const figures = await layInBrowser(join3(process.env.JOLLY_BOLT_HOME, "dist"), question);
      if (!figures) return console.log("  no Chromium on this machine");
      all.push(figures);
    }
    const told = (of) => {
      const sorted = all.map(of).sort((a, b) => a - b);
      return `${sorted[(goes - 1) / 2].toFixed(0)} (${sorted.at(-1).toFixed(0)}) ms`;
    };
    const frames = `${Math.max(...all.map(({ longestFrame }) => longestFrame)).toFixed(0)} ms, ${all[0].usualFrame.toFixed(0)} ms`;
    console.log(`  ${name2.padEnd(36)} ${told(({ cold }) => cold)}, ${told(({ warm }) => warm)}; ${frames}`);
  }
}
function benchRefusals() {
  console.log("\nhostile jobs: the time to refuse them");
  for (const [name2, text] of Object.entries(HOSTILE)) {
    const { value, ms } = timed(() => parseLayJob(text()));
    console.log(
      `  ${name2.padEnd(36)} ${ms.toFixed(0).padStart(6)} ms  ${value.ok ? "NOT REFUSED" : value.faults[0].message}`
    );
  }
}
async function benchDevelopment(folder, seconds2) {
  const manifest = JSON.parse(readFileSync2(`${folder}/manifest.json`, "utf8")).jobs;
  const best = existsSync2(`${folder}/best.json`) ? JSON.parse(readFileSync2(`${folder}/best.json`, "utf8")) : {};
  const families = /* @__PURE__ */ new Map();
  console.log(
    `
development jobs, ${seconds2} s each on all cores: used, ratio to the optimum or bound, ratio of the best known`
  );
  for (const { file, family, optimum, bound = 0, measure: measure2 } of manifest.filter(({ family: one }) => one !== "bad")) {
    if (!readdirSync(folder).includes(file)) continue;
    const json = JSON.parse(readFileSync2(`${folder}/${file}`, "utf8"));
    const job2 = readJob(json);
    if (!job2.ok) throw new Error(`${file}: ${job2.faults[0].message}`);
    const plan = await layOnAllCores({ json, seconds: seconds2, seed: job2.value.search.seed }, new Cancel());
    const unit = NM[job2.value.units];
    const used = (measure2 === "endlessUsed" ? plan.endless : plan.used) / unit;
    const reference = optimum ?? (measure2 ? bound : Math.max(bound, plan.bound / unit));
    families.set(family, [...families.get(family) ?? [], used / reference]);
    console.log(
      `  ${file.padEnd(26)} ${used.toFixed(2).padStart(9)}  ${(used / reference).toFixed(4)}  ${((best[file] ?? NaN) / reference).toFixed(4)}`
    );
  }
  for (const [family, ratios] of families) {
    const mean = ratios.reduce((a, b) => a + b, 0) / ratios.length;
    console.log(`  ${family.padEnd(26)} mean ${mean.toFixed(4)}  worst ${Math.max(...ratios).toFixed(4)}`);
  }
}
var [what, time] = process.argv.slice(2);
if (what === "--help" || what === "-h") {
  console.log(
    "usage: bench [all|lay] [SECONDS]: prints speeds and lengths; lay: of the lay engine alone; SECONDS (5) a job"
  );
  process.exit(0);
}
var seconds = Number(time ?? 5);
if (what !== "lay") benchCutList();
benchFirstPlans();
await benchBrowser();
benchRefusals();
benchFamilies(seconds);
var development = "../shared/bench/dev";
if (existsSync2(development)) await benchDevelopment(development, seconds);
await closePool();

import type { Box } from '../model/box';
import type { Nm } from '../../length';
import type { Profile } from './columns';
import { raised, type Opening } from './openings';

/** Boxes a band has room for at first. */
const ROOM = 16;

/** Sides of boxes in ascending order, each with how many boxes have it. */
class Sides {
  count = 0;
  at = new Float64Array(64);
  private times = new Int32Array(64);

  clear() {
    this.count = 0;
  }

  /** The number of the first side at x or beyond. */
  indexOf(x: Nm): number {
    let [low, high] = [0, this.count];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.at[middle]! < x) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  add(x: Nm) {
    const i = this.indexOf(x);
    if (i < this.count && this.at[i] === x) {
      this.times[i]!++;
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

  remove(x: Nm) {
    const i = this.indexOf(x);
    if (--this.times[i]! > 0) return;
    this.at.copyWithin(i, i + 1, this.count);
    this.times.copyWithin(i, i + 1, this.count--);
  }
}

/**
 * The boxes on one length by bands across the cloth, each about a quarter as high as a part: which of them a place meets is
 * found among a few, a box comes and goes at next to no cost, and bands without a free run as wide as a box tell where there
 * is no looking for a place. For rectangles; lengths in whole nm.
 */
export class Bands {
  private readonly x0: Float64Array;
  private readonly y0: Float64Array;
  private readonly x1: Float64Array;
  private readonly y1: Float64Array;
  /** By band, how many boxes it meets, and their numbers by their left sides. */
  private counts = new Int32Array(256);
  private items = new Int32Array(256 * ROOM);
  private room = ROOM;
  /**
   * By band, its free runs across (where no box reaches into it), how many there are, and how wide the widest of them is: NaN
   * where they are to be found anew.
   */
  private runs = new Int32Array(256);
  private runFrom = new Float64Array(256 * (ROOM + 1));
  private runTo = new Float64Array(256 * (ROOM + 1));
  private widest = new Float64Array(256);
  /** By band, the same between boxes that go right through it: what is wider can't reach into it at all. */
  private widestThrough = new Float64Array(256);
  /** The highest band that a box was in. */
  private peak = -1;
  /** The opening that was found last; for which size they are looked for, and from which band and place on. */
  readonly opening: Opening = { from: 0, to: 0, left: 0, right: 0 };
  private openWidth = 0;
  private openHeight = 0;
  private openBand = 0;
  private openFrom = 0;
  private readonly lefts = new Sides();
  private readonly rights = new Sides();
  private readonly fixed: Box[] = [];
  private stamp = 0;
  private readonly stamps: Int32Array;

  /**
   * `most` boxes at once, numbered from 0; `fixed` are always there. Free from `left` to `right` across and from `bottom` to
   * `top` (Infinity for an endless length) along; `high` nm is the height of a band.
   */
  constructor(
    readonly left: Nm,
    readonly right: Nm,
    private readonly bottom: Nm,
    private readonly top: Nm,
    private readonly high: Nm,
    private readonly most: number,
    fixed: readonly Box[],
  ) {
    this.fixed = [...fixed];
    const all = most + fixed.length;
    this.x0 = new Float64Array(all);
    this.y0 = new Float64Array(all);
    this.x1 = new Float64Array(all);
    this.y1 = new Float64Array(all);
    this.stamps = new Int32Array(all);
    this.clear();
  }

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

  take(i: number, x: Nm, y: Nm, { width, height }: Profile) {
    this.add(i, x, y, x + width, y + height);
  }

  private add(i: number, x0: Nm, y0: Nm, x1: Nm, y1: Nm) {
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
      let k = base + this.counts[band]!++;
      for (; k > base && this.x0[items[k - 1]!]! > x0; k--) items[k] = items[k - 1]!;
      items[k] = i;
      this.widest[band] = this.widestThrough[band] = NaN;
    }
    this.lefts.add(x0);
    this.rights.add(x1);
  }

  give(i: number) {
    const last = this.bandOf(this.y1[i]! - 1);
    const { items } = this;
    for (let band = this.bandOf(this.y0[i]!); band <= last; band++) {
      let k = band * this.room;
      const end = k + --this.counts[band]!;
      while (items[k] !== i) k++;
      for (; k < end; k++) items[k] = items[k + 1]!;
      this.widest[band] = this.widestThrough[band] = NaN;
    }
    this.lefts.remove(this.x0[i]!);
    this.rights.remove(this.x1[i]!);
  }

  private refresh(band: number) {
    const { items, counts, room, x0, x1, y0, y1, runFrom, runTo, left, right } = this;
    const low = this.bottom + band * this.high;
    const high = low + this.high;
    const base = band * (room + 1);
    let n = 0;
    let [reach, widest, through, widestThrough] = [left, 0, left, 0];
    for (let k = band * room, end = k + counts[band]!; k < end; k++) {
      const i = items[k]!;
      const [from, to] = [x0[i]!, x1[i]!];
      if (from > reach) {
        runFrom[base + n] = reach;
        runTo[base + n++] = from;
        if (from - reach > widest) widest = from - reach;
      }
      if (to > reach) reach = to;
      if (y0[i]! <= low && y1[i]! >= high) {
        if (from - through > widestThrough) widestThrough = from - through;
        if (to > through) through = to;
      }
    }
    if (right > reach) {
      runFrom[base + n] = reach;
      runTo[base + n++] = right;
    }
    this.runs[band] = n;
    this.widest[band] = Math.max(widest, right - reach);
    this.widestThrough[band] = Math.max(widestThrough, right - through);
  }

  /** Begins to look where a box of that size (nm) may lie, from the lowest place on. */
  startLooking(width: Nm, height: Nm) {
    this.openWidth = width;
    this.openHeight = height;
    this.openBand = 0;
    this.openFrom = this.bottom;
  }

  /** Finds the next `opening`; false when there is none. Nothing may come or go before the last one. */
  nextOpening(): boolean {
    const { high, bottom, peak, opening, widestThrough } = this;
    const [width, height] = [this.openWidth, this.openHeight];
    // A box so high goes right through a band wherever it lies, and needs a free run there. Any box needs one between those
    // that go through.
    const isTall = height >= 2 * high;
    const widest = isTall ? this.widest : widestThrough;
    let band = this.openBand;
    while (band <= peak) {
      for (; band <= peak && !(widest[band]! < width); band++) if (Number.isNaN(widest[band])) this.refresh(band--);
      if (band > peak) break;
      const from = this.openFrom;
      const to = bottom + (widestThrough[band]! < width ? band : band + 1) * high - height;
      for (band++; band <= peak && !(widest[band]! >= width); band++)
        if (Number.isNaN(widest[band])) this.refresh(band--);
      this.openBand = band;
      this.openFrom = Math.max(from, bottom + (widestThrough[band - 1]! < width ? band : band - 1) * high);
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
  private findSides(width: Nm, height: Nm): boolean {
    const { opening, high, bottom, runs, runFrom, runTo, room, peak } = this;
    opening.left = this.left;
    opening.right = this.right;
    const last = Math.floor((opening.to + height - bottom) / high) - 1;
    // A box so high fills a band from below to above, and lies in a free run of that.
    if (height < 2 * high || last > peak) return true;
    let [left, right] = [Infinity, -Infinity];
    for (let band = Math.ceil((opening.from - bottom) / high); band <= last; band++) {
      const base = band * (room + 1);
      if (Number.isNaN(this.widest[band])) this.refresh(band);
      for (let k = base + runs[band]! - 1; k >= base; k--) {
        if (runTo[k]! - runFrom[k]! < width) continue;
        if (runFrom[k]! < left) left = runFrom[k]!;
        if (runTo[k]! > right) right = runTo[k]!;
      }
    }
    opening.left = left;
    opening.right = right;
    return right - left >= width;
  }

  private bandOf(y: Nm): number {
    return Math.max(0, Math.floor((y - this.bottom) / this.high));
  }

  private grow(bands: number) {
    this.resize(2 ** Math.ceil(Math.log2(bands)), this.room);
  }

  private widen() {
    this.resize(this.counts.length, 2 * this.room);
  }

  /** Makes room for so many bands with so many boxes each. */
  private resize(bands: number, room: number) {
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
  get mostPlaces(): number {
    return this.lefts.count + this.rights.count;
  }

  /**
   * Places across where a box of that width lies beside another, or at a selvage, and reaches no further than `from` and `to`;
   * written into `into`. Returns how many.
   */
  placesFor(width: Nm, from: Nm, to: Nm, into: Float64Array): number {
    const { lefts, rights } = this;
    let n = 0;
    const end = to - width;
    let i = rights.indexOf(from);
    let k = lefts.indexOf(from + width);
    for (;;) {
      const right = i < rights.count ? rights.at[i]! : Infinity;
      const left = k < lefts.count ? lefts.at[k]! - width : Infinity;
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
  lowestAt(x: Nm, { width, height }: Profile, least: Nm, limit: Nm, rest: Nm, every: Nm): Nm {
    const { x0, y0, x1, y1, counts, items, room, high, bottom } = this;
    const end = x + width;
    if (x < this.left || end > this.right) return Infinity;
    const bands = counts.length;
    const most = Math.min(limit, this.top - height);
    let y = raised(least, rest, every);
    // From the top of the place down: what lies high in it lifts it furthest.
    search: while (y <= most) {
      const top = y + height;
      const last = Math.min(bands - 1, Math.floor((top - 1 - bottom) / high));
      for (let band = last, first = Math.floor((y - bottom) / high); band >= first; band--) {
        let above = y;
        for (let k = band * room, until = k + counts[band]!; k < until; k++) {
          const i = items[k]!;
          if (x0[i]! >= end) break;
          if (x1[i]! > x && y0[i]! < top && y1[i]! > above) above = y1[i]!;
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
  touching(x: Nm, y: Nm, { width, height }: Profile): number {
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
      for (let k = base + counts[band]! - 1; k >= base; k--) {
        const i = items[k]!;
        if (stamps[i] === this.stamp) continue;
        stamps[i] = this.stamp;
        if (y1[i] === y || y0[i] === top) touches += Math.max(0, Math.min(end, x1[i]!) - Math.max(x, x0[i]!));
        else if (x1[i] === x || x0[i] === end) touches += Math.max(0, Math.min(top, y1[i]!) - Math.max(y, y0[i]!));
      }
    }
    return touches;
  }
}

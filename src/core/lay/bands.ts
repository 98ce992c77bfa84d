import type { Nm } from '../length';
import type { Lift, Profile } from './columns';

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

  private indexOf(x: Nm): number {
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
 * The boxes on one length by bands across the cloth, each about as high as a part: which of them a place meets is found among
 * a few, and a box comes and goes at next to no cost. For rectangles; lengths in whole nm.
 */
export class Bands {
  private readonly x0: Float64Array;
  private readonly y0: Float64Array;
  private readonly x1: Float64Array;
  private readonly y1: Float64Array;
  /** By band, how many boxes it meets, and their numbers. */
  private counts = new Int32Array(256);
  private items = new Int32Array(256 * ROOM);
  private room = ROOM;
  /** By band, how much of the width is taken by boxes that go right through it; and the highest band that a box was in. */
  private covered = new Float64Array(256);
  private peak = -1;
  /** Where a box of this size may lie at all, as long as nothing changes: from, to, from, to …, in ascending order. */
  private readonly open: Nm[] = [];
  private openWidth = -1;
  private openHeight = -1;
  private readonly lefts = new Sides();
  private readonly rights = new Sides();
  private readonly fixed: [Nm, Nm, Nm, Nm][] = [];
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
    fixed: readonly [Nm, Nm, Nm, Nm][],
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
    this.covered.fill(0);
    this.peak = -1;
    this.openWidth = -1;
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
    // Fixed boxes may lie over each other; what they cover is not counted.
    if (i < this.most) this.cover(y0, y1, x1 - x0);
    for (let band = this.bandOf(y0); band <= last; band++) {
      if (this.counts[band] === this.room) this.widen();
      this.items[band * this.room + this.counts[band]!++] = i;
    }
    this.lefts.add(x0);
    this.rights.add(x1);
  }

  give(i: number) {
    const last = this.bandOf(this.y1[i]! - 1);
    this.cover(this.y0[i]!, this.y1[i]!, this.x0[i]! - this.x1[i]!);
    for (let band = this.bandOf(this.y0[i]!); band <= last; band++) {
      const base = band * this.room;
      let k = base;
      while (this.items[k] !== i) k++;
      this.items[k] = this.items[base + --this.counts[band]!]!;
    }
    this.lefts.remove(this.x0[i]!);
    this.rights.remove(this.x1[i]!);
  }

  private cover(y0: Nm, y1: Nm, width: Nm) {
    this.openWidth = -1;
    const last = Math.floor((y1 - this.bottom) / this.high);
    for (let band = Math.ceil((y0 - this.bottom) / this.high); band < last; band++) this.covered[band]! += width;
  }

  /** Finds where a box of that size may lie: nowhere where boxes right through a band leave less than its width. */
  private findOpen(width: Nm, height: Nm) {
    const { open, covered, high, bottom } = this;
    this.openWidth = width;
    this.openHeight = height;
    open.length = 0;
    const most = this.right - this.left - width;
    let from = bottom;
    for (let band = 0; band <= this.peak; band++) {
      if (covered[band]! <= most) continue;
      const to = bottom + band * high;
      if (to - from >= height) open.push(from, to);
      from = to + high;
    }
    if (this.top - from >= height) open.push(from, this.top);
  }

  private bandOf(y: Nm): number {
    return Math.max(0, Math.floor((y - this.bottom) / this.high));
  }

  private grow(bands: number) {
    const size = 2 ** Math.ceil(Math.log2(bands));
    const counts = new Int32Array(size);
    counts.set(this.counts);
    const items = new Int32Array(size * this.room);
    items.set(this.items);
    const covered = new Float64Array(size);
    covered.set(this.covered);
    this.covered = covered;
    this.counts = counts;
    this.items = items;
  }

  private widen() {
    const items = new Int32Array(2 * this.items.length);
    this.counts.forEach((n, band) => {
      const base = band * this.room;
      items.set(this.items.subarray(base, base + n), 2 * base);
    });
    this.items = items;
    this.room *= 2;
  }

  /** How many places `placesFor` may give. */
  get mostPlaces(): number {
    return this.lefts.count + this.rights.count;
  }

  /** Places across where a box of that width lies beside another, or at a selvage, written into `into`; returns how many. */
  placesFor(width: Nm, into: Float64Array): number {
    const { lefts, rights } = this;
    let n = 0;
    for (let i = 0; i < rights.count; i++) {
      const x = rights.at[i]!;
      if (x + width > this.right) break;
      into[n++] = x;
    }
    for (let i = lefts.count - 1; i >= 0; i--) {
      const x = lefts.at[i]! - width;
      if (x < this.left) break;
      into[n++] = x;
    }
    return n;
  }

  /**
   * The lowest place at x (nm, the box's left side) from `least` up, or Infinity when there is none up to `limit`. `lift` is
   * asked at each candidate.
   */
  lowestAt(x: Nm, { width, height }: Profile, least: Nm, limit: Nm, lift: Lift | null): Nm {
    const { x0, y0, x1, y1, counts, items, room, high, bottom } = this;
    const end = x + width;
    if (x < this.left || end > this.right) return Infinity;
    if (this.openWidth !== width || this.openHeight !== height) this.findOpen(width, height);
    const { open } = this;
    const bands = counts.length;
    let y = -Infinity;
    for (let o = 0; o < open.length; o += 2) {
      const most = Math.min(limit, open[o + 1]! - height);
      const from = Math.max(least, open[o]!);
      if (from > limit) return Infinity;
      if (from > most || y > most) continue;
      if (from > y) y = lift ? lift(from) : from;
      // From the top of the place down: what lies high in it lifts it furthest.
      search: while (y <= most) {
        const top = y + height;
        const last = Math.min(bands - 1, Math.floor((top - 1 - bottom) / high));
        for (let band = last, first = Math.floor((y - bottom) / high); band >= first; band--) {
          const base = band * room;
          let above = y;
          for (let k = base + counts[band]! - 1; k >= base; k--) {
            const i = items[k]!;
            if (x0[i]! < end && x1[i]! > x && y0[i]! < top && y1[i]! > above) above = y1[i]!;
          }
          if (above > y) {
            // Never lower than asked, whatever is rounded: each round must rise.
            y = lift ? Math.max(above, lift(above)) : above;
            continue search;
          }
        }
        return y;
      }
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

import type { Nm } from '../../length';

/** Which of several skylines: they lie one after another in flat arrays, so that a beam makes next to no garbage. */
export type Slot = number;

/**
 * For straight cutting, the grounds that parts stand on beside each other: the top of something that one cut can free. What
 * stands on one joins only there, and when it is level all across, it is as if the ground had risen. Number 0 is the cloth's
 * lower edge.
 */
export class Floors {
  readonly x: Nm[] = [];
  readonly w: Nm[] = [];
  readonly level: Nm[] = [];
  /** The floor that each stands on, -1 for none. */
  readonly under: number[] = [];

  /** A new one from `x`, `w` nm wide; its number. */
  add(x: Nm, w: Nm, level: Nm, under: number): number {
    this.x.push(x);
    this.w.push(w);
    this.level.push(level);
    return this.under.push(under) - 1;
  }

  /** Leaves the cloth's lower edge alone, from `x` and `w` nm wide. */
  reset(x: Nm, w: Nm) {
    for (const list of [this.x, this.w, this.level, this.under]) list.length = 0;
    this.add(x, w, 0, -1);
  }
}

/**
 * Many skylines of the same cloth. Each has up to `most` segments from left to right: where they begin, how wide they are and
 * how high (nm), and with `floors` on which of them they stand.
 */
export class Skylines {
  readonly x: Float64Array;
  readonly w: Float64Array;
  readonly y: Float64Array;
  /** With floors, the number of the one that each stands on. */
  readonly floor: Int32Array;
  /** How many segments each skyline has. */
  readonly count: Uint16Array;

  constructor(
    size: number,
    readonly most: number,
    private readonly floors: Floors | null = null,
  ) {
    this.x = new Float64Array(size * most);
    this.w = new Float64Array(size * most);
    this.y = new Float64Array(size * most);
    this.floor = new Int32Array(floors ? size * most : 0);
    this.count = new Uint16Array(size);
  }

  /** Level cloth from `x`, `w` nm wide. */
  flatten(at: Slot, x: Nm, w: Nm) {
    const first = at * this.most;
    this.x[first] = x;
    this.w[first] = w;
    this.y[first] = 0;
    if (this.floors) this.floor[first] = 0;
    this.count[at] = 1;
  }

  /** Makes the skyline at `to` like that at `at`. */
  copy(to: Slot, at: Slot) {
    const { most } = this;
    const [first, end] = [at * most, at * most + this.count[at]!];
    for (const list of this.floors ? [this.x, this.w, this.y, this.floor] : [this.x, this.w, this.y])
      list.copyWithin(to * most, first, end);
    this.count[to] = this.count[at]!;
  }

  /** The number of the lowest segment, the first of them. */
  lowest(at: Slot): number {
    const { y, most } = this;
    const first = at * most;
    let lowest = 0;
    for (let i = 1; i < this.count[at]!; i++) if (y[first + i]! < y[first + lowest]!) lowest = i;
    return lowest;
  }

  highest(at: Slot): Nm {
    const { y, most } = this;
    let highest = 0;
    for (let i = at * most, end = i + this.count[at]!; i < end; i++) if (y[i]! > highest) highest = y[i]!;
    return highest;
  }

  /** nm² between a skyline and a level above it. */
  openBelow(at: Slot, level: Nm): number {
    const { w, y, most } = this;
    let open = 0;
    for (let i = at * most, end = i + this.count[at]!; i < end; i++) open += w[i]! * (level - y[i]!);
    return open;
  }

  /** How high the lower neighbour of a segment is, Infinity for none. */
  wallOf(at: Slot, segment: number): Nm {
    const i = at * this.most + segment;
    const before = segment > 0 ? this.y[i - 1]! : Infinity;
    const after = segment < this.count[at]! - 1 ? this.y[i + 1]! : Infinity;
    return Math.min(before, after);
  }

  /** Fills a segment up to a level; it is joined with neighbours that are as high. */
  raise(at: Slot, segment: number, level: Nm) {
    this.y[at * this.most + segment] = level;
    this.close(at);
  }

  /**
   * Makes the skyline at `to` what is left of that at `at` in `from` when a box lies on a segment, `px` its left side and `top` its
   * height. Slits narrower than `narrowest` are filled up to their lower wall; the area (nm²) that takes.
   */
  lay(to: Slot, from: Skylines, at: Slot, segment: number, px: Nm, width: Nm, top: Nm, narrowest: Nm): number {
    const first = to * this.most;
    const source = at * from.most;
    const [sx, sw, sy] = [from.x[source + segment]!, from.w[source + segment]!, from.y[source + segment]!];
    const { floors } = this;
    let n = first;
    const add = (x: Nm, w: Nm, y: Nm) => {
      this.x[n] = x;
      this.w[n] = w;
      this.y[n] = y;
      n++;
    };
    const take = (i: number) => {
      if (floors) this.floor[n] = from.floor[i]!;
      add(from.x[i]!, from.w[i]!, from.y[i]!);
    };
    for (let i = source; i < source + segment; i++) take(i);
    const before = n;
    if (px > sx) add(sx, px - sx, sy);
    add(px, width, top);
    if (sx + sw > px + width) add(px + width, sx + sw - px - width, sy);
    if (floors) {
      const on = from.floor[source + segment]!;
      const isNew = n - before > 1 && sy !== floors.level[on];
      this.floor.fill(isNew ? floors.add(sx, sw, sy, on) : on, before, n);
    }
    for (let i = source + segment + 1; i < source + from.count[at]!; i++) take(i);
    this.count[to] = n - first;
    let filled = 0;
    for (let s = 0; s < n - first; s++) {
      if (this.w[first + s]! >= narrowest) continue;
      const level = this.wallOf(to, s);
      if (level === Infinity || level <= this.y[first + s]!) continue;
      filled += this.w[first + s]! * (level - this.y[first + s]!);
      this.y[first + s] = level;
    }
    this.close(to);
    return filled;
  }

  /** Joins neighbours that are equally high and stand on one floor; what is level all over its floor stands on the one under it. */
  private close(at: Slot) {
    const { x, w, y, floor, floors, most } = this;
    const first = at * most;
    let last = first - 1;
    for (let i = first, end = first + this.count[at]!; i < end; i++) {
      last++;
      if (last < i) {
        x[last] = x[i]!;
        w[last] = w[i]!;
        y[last] = y[i]!;
        if (floors) floor[last] = floor[i]!;
      }
      for (let isOpen = true; isOpen;) {
        isOpen = false;
        if (floors) {
          const on = floor[last]!;
          if (
            floors.under[on]! >= 0 &&
            y[last]! > floors.level[on]! &&
            x[last] === floors.x[on] &&
            w[last] === floors.w[on]
          ) {
            floor[last] = floors.under[on]!;
            isOpen = true;
          }
        }
        if (last > first && y[last - 1] === y[last] && (!floors || floor[last - 1] === floor[last])) {
          last--;
          w[last]! += w[last + 1]!;
          isOpen = floors !== null;
        }
      }
    }
    this.count[at] = last - first + 1;
  }

  /** A number that skylines which differ hardly ever share. */
  hash(at: Slot): number {
    const { x, y, floor, floors, most } = this;
    let hash = 0;
    for (let i = at * most, end = i + this.count[at]!; i < end; i++) {
      // Whole nanometres go over 32 bits: their upper ones are looked at, too.
      hash = Math.imul(hash ^ y[i]! ^ (y[i]! / 4294967296), 0x9e3779b1);
      hash = Math.imul((hash ^ (hash >>> 15)) + (x[i]! | 0), 0x85ebca6b);
      if (floors) hash = Math.imul(hash ^ floors.level[floor[i]!]!, 0xc2b2ae35);
    }
    return hash ^ (hash >>> 13);
  }
}

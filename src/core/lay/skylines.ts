import type { Nm } from '../length';

/** Which of several skylines: they lie one after another in flat arrays, so that a beam makes next to no garbage. */
export type Slot = number;

/**
 * Many skylines of the same cloth. Each has up to `most` segments from left to right: where they begin, how wide they are and
 * how high (nm).
 */
export class Skylines {
  readonly x: Float64Array;
  readonly w: Float64Array;
  readonly y: Float64Array;
  /** How many segments each skyline has. */
  readonly count: Uint16Array;

  constructor(
    size: number,
    readonly most: number,
  ) {
    this.x = new Float64Array(size * most);
    this.w = new Float64Array(size * most);
    this.y = new Float64Array(size * most);
    this.count = new Uint16Array(size);
  }

  /** Level cloth from `x`, `w` nm wide. */
  flatten(at: Slot, x: Nm, w: Nm) {
    const first = at * this.most;
    this.x[first] = x;
    this.w[first] = w;
    this.y[first] = 0;
    this.count[at] = 1;
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
    let n = first;
    const add = (x: Nm, w: Nm, y: Nm) => {
      this.x[n] = x;
      this.w[n] = w;
      this.y[n] = y;
      n++;
    };
    for (let i = 0; i < segment; i++) add(from.x[source + i]!, from.w[source + i]!, from.y[source + i]!);
    if (px > sx) add(sx, px - sx, sy);
    add(px, width, top);
    if (sx + sw > px + width) add(px + width, sx + sw - px - width, sy);
    for (let i = segment + 1; i < from.count[at]!; i++)
      add(from.x[source + i]!, from.w[source + i]!, from.y[source + i]!);
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

  /** Joins neighbours that are equally high. */
  private close(at: Slot) {
    const { x, w, y, most } = this;
    const first = at * most;
    let last = first;
    for (let i = first + 1, end = first + this.count[at]!; i < end; i++) {
      if (y[i] === y[last]) {
        w[last]! += w[i]!;
        continue;
      }
      last++;
      x[last] = x[i]!;
      w[last] = w[i]!;
      y[last] = y[i]!;
    }
    this.count[at] = last - first + 1;
  }

  /** A number that skylines which differ hardly ever share. */
  hash(at: Slot): number {
    const { x, y, most } = this;
    let hash = 0;
    for (let i = at * most, end = i + this.count[at]!; i < end; i++) {
      // Whole nanometres go over 32 bits: their upper ones are looked at, too.
      hash = Math.imul(hash ^ y[i]! ^ (y[i]! / 4294967296), 0x9e3779b1);
      hash = Math.imul((hash ^ (hash >>> 15)) + (x[i]! | 0), 0x85ebca6b);
    }
    return hash ^ (hash >>> 13);
  }
}

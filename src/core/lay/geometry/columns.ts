import type { Nm } from '../../length';
import { raised, type Opening } from './openings';
import type { Point } from '../model/outline';

/** How a part's shape covers the columns below it, in whole nm from its lower left corner; a rectangle has no edges. */
export interface Profile {
  width: Nm;
  height: Nm;
  /** For each step across, the lowest and the highest point of the shape in it; null for a rectangle. */
  low: Float64Array | null;
  high: Float64Array | null;
}

/**
 * The profile of a simple outline in its box at [0, 0], in steps of `step` nm, kept `margin` nm away all round. What lies
 * between its lowest and highest point in a step counts as covered: an outline that opens sideways is filled there.
 */
export function profileOf(ring: readonly Point[], width: Nm, height: Nm, step: Nm, margin: Nm): Profile {
  const bare = Math.max(1, Math.ceil(width / step));
  const low = new Float64Array(bare).fill(Infinity);
  const high = new Float64Array(bare).fill(-Infinity);
  const meet = (column: number, y: number) => {
    if (y < low[column]!) low[column] = y;
    if (y > high[column]!) high[column] = y;
  };
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [[ax, ay], [bx, by]] = ring[j]![0] <= ring[i]![0] ? [ring[j]!, ring[i]!] : [ring[i]!, ring[j]!];
    const first = Math.min(bare - 1, Math.floor(ax / step));
    const last = Math.min(bare - 1, Math.max(first, Math.ceil(bx / step) - 1));
    const at = (x: number) => (bx === ax ? ay : ay + ((by - ay) * (x - ax)) / (bx - ax));
    for (let column = first; column <= last; column++) {
      meet(column, at(Math.max(ax, column * step)));
      meet(column, at(Math.min(bx, (column + 1) * step)));
    }
    if (ax === bx) meet(first, by);
  }
  const reach = Math.ceil(margin / step);
  const count = Math.ceil((width + 2 * margin) / step);
  const grown: Profile = {
    width: width + 2 * margin,
    height: height + 2 * margin,
    low: new Float64Array(count).fill(Infinity),
    high: new Float64Array(count).fill(-Infinity),
  };
  for (let column = 0; column < count; column++) {
    const [from, to] = [Math.max(0, column - 2 * reach), Math.min(bare - 1, column)];
    for (let k = from; k <= to; k++) {
      grown.low![column] = Math.min(grown.low![column]!, Math.floor(low[k]!));
      grown.high![column] = Math.max(grown.high![column]!, Math.ceil(high[k]!) + 2 * margin);
    }
  }
  return grown;
}

/** A column of the cloth: from `from` nm across, its free stretches along the cloth in ascending order. */
interface Column {
  from: Nm;
  low: Nm[];
  high: Nm[];
}

/**
 * The free cloth of one length in columns of equal free stretches: a column is divided where a part's side falls into it.
 * Unlike a skyline it keeps every hole, and parts can be taken off again. Lengths in whole nm; the stretch from `bottom`
 * to `top` (Infinity for an endless length) is free between `left` and `right`.
 */
export class Columns {
  private columns: Column[] = [];
  private hints = new Int32Array(64);
  readonly opening: Opening;
  private isSeen = false;

  constructor(
    readonly left: Nm,
    readonly right: Nm,
    private readonly bottom: Nm,
    private readonly top: Nm,
    /** The width of an outline's steps. */
    private readonly step: Nm,
  ) {
    this.opening = { from: bottom, to: Infinity, left, right };
    this.clear();
  }

  clear() {
    this.columns = [];
    this.columns.push({ from: this.left, low: [this.bottom], high: [this.top] });
  }

  get count(): number {
    return this.columns.length;
  }

  /** How many places `placesFor` may give. */
  get mostPlaces(): number {
    return 2 * this.count + 1;
  }

  /** Like `Bands`, but columns know of no shut ones: there is one opening, the whole length. */
  startLooking() {
    this.isSeen = false;
  }

  nextOpening(): boolean {
    if (this.isSeen) return false;
    return (this.isSeen = true);
  }

  /** Places across where a column starts or ends, for a part of that width, as in `Bands`. */
  placesFor(width: Nm, left: Nm, right: Nm, into: Float64Array): number {
    let n = 0;
    for (const { from } of this.columns) {
      if (from >= left && from + width <= right) into[n++] = from;
      if (from - width >= left && from <= right) into[n++] = from - width;
    }
    if (right - width >= left) into[n++] = right - width;
    return n;
  }

  private indexOf(x: Nm): number {
    let [low, high] = [0, this.columns.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (this.columns[middle]!.from <= x) low = middle;
      else high = middle - 1;
    }
    return low;
  }

  /** Makes x the start of a column and returns its number. */
  private splitAt(x: Nm): number {
    if (x >= this.right) return this.columns.length;
    const i = this.indexOf(x);
    const column = this.columns[i]!;
    if (column.from === x) return i;
    this.columns.splice(i + 1, 0, { from: x, low: column.low.slice(), high: column.high.slice() });
    return i + 1;
  }

  /**
   * The lowest place at x (nm, the part's left side) from `least` up, or Infinity when there is none below `limit`. Where
   * `every` is not 0, only places count that lie at `rest` in steps of `every`.
   */
  lowestAt(x: Nm, { width, height, low, high }: Profile, least: Nm, limit: Nm, rest: Nm, every: Nm): Nm {
    const { columns, step } = this;
    const end = x + width;
    if (x < this.left || end > this.right) return Infinity;
    const first = this.indexOf(x);
    let last = first;
    while (last + 1 < columns.length && columns[last + 1]!.from < end) last++;
    const count = last - first + 1;
    if (this.hints.length < count) this.hints = new Int32Array(2 * count);
    const { hints } = this;
    hints.fill(0, 0, count);
    let y = raised(least, rest, every);
    let agreed = 0;
    for (let i = first; ; i = i === last ? first : i + 1) {
      const column = columns[i]!;
      let [bottom, top] = [0, height];
      if (low) {
        // A column is within one step of the profile unless the part lies off the grid; then it may meet two.
        const to = i + 1 < columns.length ? columns[i + 1]!.from : this.right;
        const from = column.from <= x ? 0 : Math.floor((column.from - x) / step + 1e-9);
        const until = Math.ceil((Math.min(to, end) - x) / step - 1e-9);
        bottom = low[from]!;
        top = high![from]!;
        for (let k = from + 1; k < until; k++) {
          bottom = Math.min(bottom, low[k]!);
          top = Math.max(top, high![k]!);
        }
      }
      const { low: lows, high: highs } = column;
      // The place only rises, so a stretch that was passed over stays behind.
      let k = hints[i - first]!;
      if (k === 0 && y > 0) k = firstReaching(highs, y + top);
      while (k < highs.length && (highs[k]! < y + top || highs[k]! - lows[k]! < top - bottom)) k++;
      if (k === highs.length) return Infinity;
      hints[i - first] = k;
      const needed = lows[k]! - bottom;
      if (needed > y) {
        y = raised(needed, rest, every);
        if (y > limit) return Infinity;
        // A lifted place may no longer end within this stretch: the column is looked at again.
        agreed = every > 0 && highs[k]! < y + top ? 0 : 1;
      } else agreed++;
      if (agreed >= count) return y;
    }
  }

  /** Takes a part's shape at (x, y) out of the free cloth, or gives it back. */
  take(x: Nm, y: Nm, profile: Profile) {
    this.change(x, y, profile, subtract);
  }

  give(x: Nm, y: Nm, profile: Profile) {
    this.change(x, y, profile, add);
  }

  private change(x: Nm, y: Nm, { width, height, low, high }: Profile, how: typeof add) {
    const first = this.splitAt(Math.max(x, this.left));
    const end = this.endAfter(x, width, low);
    for (let i = first; i < end; i++) {
      const column = this.columns[i]!;
      if (!low) how(column, y, y + height);
      else {
        const k = Math.floor((column.from - x) / this.step + 1e-9);
        how(column, y + low[k]!, y + high![k]!);
      }
    }
  }

  /** Divides the columns where a shape starts, ends and has its steps; the number of the first one after it. */
  private endAfter(x: Nm, width: Nm, low: Float64Array | null): number {
    if (low) for (let k = 1; k < low.length; k++) this.splitAt(x + k * this.step);
    return this.splitAt(Math.min(x + width, this.right));
  }

  /** Joins neighbours that have become alike again. */
  tidy() {
    this.columns = this.columns.filter((column, i) => {
      const before = this.columns[i - 1];
      return (
        !before ||
        before.low.length !== column.low.length ||
        before.low.some((y, k) => y !== column.low[k]) ||
        before.high.some((y, k) => y !== column.high[k])
      );
    });
  }
}

/** The number of the first free stretch that reaches up to y at least. */
function firstReaching(highs: readonly Nm[], y: Nm): number {
  let [low, high] = [0, highs.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (highs[middle]! < y) low = middle + 1;
    else high = middle;
  }
  return low;
}

function subtract({ low, high }: Column, from: Nm, to: Nm) {
  for (let k = low.length - 1; k >= 0; k--) {
    if (low[k]! >= to || high[k]! <= from) continue;
    const [a, b] = [low[k]!, high[k]!];
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

function add({ low, high }: Column, from: Nm, to: Nm) {
  let k = 0;
  while (k < low.length && high[k]! < from) k++;
  const joinsBelow = k < low.length && high[k] === from;
  const above = joinsBelow ? k + 1 : k;
  const joinsAbove = above < low.length && low[above] === to;
  if (joinsBelow && joinsAbove) {
    high[k] = high[above]!;
    low.splice(above, 1);
    high.splice(above, 1);
  } else if (joinsBelow) high[k] = to;
  else if (joinsAbove) low[above] = from;
  else {
    low.splice(k, 0, from);
    high.splice(k, 0, to);
  }
}

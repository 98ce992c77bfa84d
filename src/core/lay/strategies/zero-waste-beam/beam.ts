import quickselect from 'quickselect';
import type { Nm } from '../../../length';
import type { Chain } from '../../search/part-classes';
import { Skylines, type Floors, type Slot } from '../../geometry/skylines';

/** Ranks SPARE x beam-width candidates, so that duplicates can be dropped. */
const SPARE = 3;

/** The states of a beam that have equally many parts, in flat arrays: a skyline each, and what has been laid so far. */
export class Level {
  size = 0;
  readonly skylines: Skylines;
  /** How many of each kind are left, kind by kind. */
  readonly counts: Uint16Array;
  readonly hash: Int32Array;
  /** nm² of cloth that is passed without parts. */
  readonly waste: Float64Array;
  /** The last placement, with all before it. */
  readonly chains: Chain[] = [];

  /** `spare` more skylines are for what becomes of states before something is laid. */
  constructor(
    width: number,
    segments: number,
    protected readonly kinds: number,
    spare = 0,
    floors: Floors | null = null,
  ) {
    this.skylines = new Skylines(width + spare, segments, floors);
    this.waste = new Float64Array(width + spare);
    this.counts = new Uint16Array(width * kinds);
    this.hash = new Int32Array(width);
  }

  /** The one state with nothing laid yet. */
  start(x: Nm, w: Nm, counts: readonly number[]) {
    this.size = 1;
    this.skylines.flatten(0, x, w);
    this.counts.set(counts);
    this.waste[0] = this.hash[0] = 0;
    this.chains[0] = { parent: null, kind: -1, way: null, px: 0, py: 0 };
  }

  /** Takes over how many are left from a state of another level, one of a kind less. */
  takeOne(to: Slot, from: Level, at: Slot, kind: number) {
    const { kinds, counts } = this;
    for (let k = 0; k < kinds; k++) counts[to * kinds + k] = from.counts[at * kinds + k]!;
    counts[to * kinds + kind]!--;
  }

  /** A number for what is left and the skyline that states which differ hardly ever share. */
  keyOf(at: Slot): number {
    return (this.hash[at]! >>> 0) * 2 ** 21 + (this.skylines.hash(at) >>> 11);
  }
}

/** Places that wait to be ranked, in flat arrays: the state, the valley, the way of the part, its left side. */
export class Children {
  size = 0;
  readonly parent: Int32Array;
  readonly segment: Uint16Array;
  readonly way: Uint16Array;
  readonly px: Float64Array;
  readonly rank: Float64Array;

  constructor(most: number) {
    this.parent = new Int32Array(most);
    this.segment = new Uint16Array(most);
    this.way = new Uint16Array(most);
    this.px = new Float64Array(most);
    this.rank = new Float64Array(most);
  }

  /** Adds one; its number. */
  add(parent: Slot, segment: number, way: number, px: Nm, rank: number): number {
    const i = this.size++;
    this.parent[i] = parent;
    this.segment[i] = segment;
    this.way[i] = way;
    this.px[i] = px;
    this.rank[i] = rank;
    return i;
  }

  protected move(to: number, from: number) {
    this.parent[to] = this.parent[from]!;
    this.segment[to] = this.segment[from]!;
    this.way[to] = this.way[from]!;
    this.px[to] = this.px[from]!;
    this.rank[to] = this.rank[from]!;
  }

  /** Keeps those that rank at least as high as number `most` from above; that rank. */
  keepBest(most: number): number {
    const least = rankOf(this.rank.slice(0, this.size), most);
    let n = 0;
    for (let i = 0; i < this.size; i++) {
      if (this.rank[i]! < least) continue;
      if (n < i) this.move(n, i);
      n++;
    }
    this.size = n;
    return least;
  }

  /** Their numbers: the best `most`, then the next best quarter of that, and so on, as they came within each of these. */
  *ranked(most: number): Generator<number, void, void> {
    const { rank } = this;
    let rest = Array.from({ length: this.size }, (_, i) => i);
    for (let take = most; rest.length > 0; take = Math.ceil(most / 4)) {
      const ranks = Float64Array.from(rest, (i) => rank[i]!);
      const least = rest.length > take ? rankOf(ranks, take) : -Infinity;
      const others: number[] = [];
      for (const i of rest) {
        if (rank[i]! >= least) yield i;
        else others.push(i);
      }
      rest = others;
    }
  }
}

/** Makes the best children the first states of the next level, at most `width`, leaving out what is like another; their number. */
export function growBest(
  children: Children,
  width: number,
  next: Level,
  grow: (child: number, to: Slot) => void,
): number {
  let size = 0;
  const seen = new Set<number>();
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

/** The rank of number `most` from above; the ranks change places. */
function rankOf(ranks: Float64Array, most: number): number {
  // Its type asks for an array; all it does is to swap numbers.
  quickselect(ranks as unknown as number[], ranks.length - most);
  return ranks[ranks.length - most]!;
}

import type { Nm } from '../../length';
import { MinTree } from '../geometry/min-tree';
import { partWays, type Way as PartWay } from './part-classes';
import type { LayPart } from '../model/parts';

/** A way a kind of part may lie. */
type Way = PartWay & { kind: number };

/**
 * Best-fit placing on a skyline, for parts without a phase on one endless length: the lowest gap of the skyline is
 * filled with the waiting part that fits it best, scored 4 (fills the width and ends level with the higher wall) down
 * to 0 (merely fits), ties to the part that comes first in the order; a gap that takes none is levelled with its lower
 * wall. Scoring after Leung, Zhang and Sim, "A two-stage intelligent search algorithm for the two-dimensional strip
 * packing problem" (2011), from memory.
 */
export class BestFit {
  private readonly ways: readonly (readonly Way[])[];
  /** The ways of one width, and those of one height: what fits exactly is found without looking at the rest. */
  private readonly ofWidth = new Map<Nm, Way[]>();
  private readonly ofHeight = new Map<Nm, Way[]>();
  /** Parts of one size and turning are one kind; they are placed in the order of their numbers. */
  private readonly kindOf: Int32Array;
  private readonly members: number[][];
  private readonly left: Nm;
  /** The usable width with the gap. */
  private readonly width: Nm;

  constructor(
    private readonly parts: readonly LayPart[],
    left: Nm,
    right: Nm,
    private readonly gap: Nm,
  ) {
    this.left = left;
    this.width = right - left + gap;
    const kinds = new Map<string, number>();
    this.members = [];
    this.kindOf = Int32Array.from(parts, ({ width, height, turns }, i) => {
      const key = `${width} ${height} ${turns.join()}`;
      if (!kinds.has(key)) {
        kinds.set(key, kinds.size);
        this.members.push([]);
      }
      const kind = kinds.get(key)!;
      this.members[kind]!.push(i);
      return kind;
    });
    this.ways = this.members.map(([first], kind) => partWays(parts[first!]!, gap).map((way) => ({ ...way, kind })));
    for (const way of this.ways.flat()) {
      this.ofWidth.set(way.w, [...(this.ofWidth.get(way.w) ?? []), way]);
      this.ofHeight.set(way.h, [...(this.ofHeight.get(way.h) ?? []), way]);
    }
    this.rank = new Int32Array(this.members.length);
    this.narrowest = new MinTree(this.members.length);
  }

  /** Where a kind comes in the order. */
  private readonly rank: Int32Array;
  /** By place in the order, the width of each kind's narrowest way, Infinity once none of the kind waits. */
  private readonly narrowest: MinTree;

  /**
   * The waiting way that fits a gap best, the earliest of equals; null when none does. `sequence` is the order of the kinds.
   */
  private fitting(width: Nm, wall: Nm, waiting: readonly number[], sequence: readonly number[]): Way | null {
    const { ways, rank } = this;
    let bestScore = -1;
    let bestRank = Infinity;
    let best: Way | null = null;
    const offer = (way: Way, score: number) => {
      if (waiting[way.kind] === 0 || score < bestScore || (score === bestScore && rank[way.kind]! >= bestRank)) return;
      bestScore = score;
      bestRank = rank[way.kind]!;
      best = way;
    };
    for (const way of this.ofWidth.get(width) ?? []) offer(way, way.h === wall ? 4 : way.h > wall ? 3 : 2);
    if (best) return best;
    for (const way of this.ofHeight.get(wall) ?? []) if (way.w < width) offer(way, 1);
    if (best) return best;
    const first = this.narrowest.firstBelow(width);
    return first < 0 ? null : ways[sequence[first]!]!.find(({ w }) => w < width)!;
  }

  /** Places all parts; returns the length used, or Infinity once it passes `limit`. x, y and turned are filled by part. */
  place(order: Int32Array, limit: Nm, x: Float64Array, y: Float64Array, turned: Uint8Array): Nm {
    const { members, kindOf, gap } = this;
    const waiting = members.map((one) => one.length);
    // The kinds in the order in which their first part comes.
    const sequence: number[] = [];
    const seen = new Uint8Array(members.length);
    for (const i of order) {
      const kind = kindOf[i]!;
      if (!seen[kind]) {
        seen[kind] = 1;
        this.rank[kind] = sequence.length;
        sequence.push(kind);
      }
    }
    this.narrowest.fill(sequence.map((kind) => Math.min(...this.ways[kind]!.map(({ w }) => w))));
    const segX: Nm[] = [0];
    const segW: Nm[] = [this.width];
    const segY: Nm[] = [0];
    let used = 0;
    for (let left = this.parts.length; left > 0;) {
      let s = 0;
      for (let i = 1; i < segY.length; i++) if (segY[i]! < segY[s]!) s = i;
      const width = segW[s]!;
      const leftWall = s > 0 ? segY[s - 1]! - segY[s]! : Infinity;
      const rightWall = s < segY.length - 1 ? segY[s + 1]! - segY[s]! : Infinity;
      const wall =
        leftWall === Infinity
          ? rightWall === Infinity
            ? 0
            : rightWall
          : rightWall === Infinity
            ? leftWall
            : Math.max(leftWall, rightWall);
      const bestWay = this.fitting(width, wall, waiting, sequence);
      if (!bestWay) {
        level(segX, segW, segY, s, Math.min(leftWall, rightWall));
        continue;
      }
      const { w, h, kind } = bestWay;
      // Beside the higher wall, so that the gap that remains lies at the lower one.
      const atLeft = leftWall >= rightWall;
      const px = atLeft ? segX[s]! : segX[s]! + width - w;
      const py = segY[s]!;
      const part = members[kind]![members[kind]!.length - waiting[kind]!]!;
      if (--waiting[kind]! === 0) this.narrowest.set(this.rank[kind]!, Infinity);
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
        segX.splice(s, 1, segX[s]!, px);
        segW.splice(s, 1, width - w, w);
        segY.splice(s, 1, py, top);
        s++;
      }
      merge(segX, segW, segY, s);
    }
    return used;
  }
}

/** Raises a segment that takes nothing to its lower wall. */
function level(segX: Nm[], segW: Nm[], segY: Nm[], s: number, by: Nm) {
  segY[s]! += by;
  merge(segX, segW, segY, s);
}

/** Joins a segment with neighbours of its height. */
function merge(segX: Nm[], segW: Nm[], segY: Nm[], s: number) {
  if (s < segY.length - 1 && segY[s + 1] === segY[s]) {
    segW[s]! += segW[s + 1]!;
    segX.splice(s + 1, 1);
    segW.splice(s + 1, 1);
    segY.splice(s + 1, 1);
  }
  if (s > 0 && segY[s - 1] === segY[s]) {
    segW[s - 1]! += segW[s]!;
    segX.splice(s, 1);
    segW.splice(s, 1);
    segY.splice(s, 1);
  }
}

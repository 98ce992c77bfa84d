import { nextAlong, phaseOf, wrap, type Lattice } from '../../../cloth';
import type { Nm } from '../../../length';
import { isPlainRoll, type LayJob } from '../../model/job';
import {
  gatherClasses,
  greatestCommon,
  subsetSums,
  type PartClass,
  type ClassPhase,
  type Way,
} from '../../search/part-classes';
import type { LayPart } from '../../model/parts';
import type { Random } from '../../search/random';

/** Phases that differ by no more than this (nm) are the same: anchors are rounded to whole nanometres. */
const SAME = 4;
/** How much more a part counts whose phase is right just where it would lie. */
const MATCHED = 100;

/** Where a kind may be put in a gap: how far from the gap's left end and bottom. */
interface Option {
  kind: number;
  way: Way;
  dx: Nm;
  dy: Nm;
  rank: number;
}

/** True when the search can lay this job: one endless length of plain shape, cut freely. */
export const suitsTightSearch = ({ stock, straight }: LayJob): boolean => isPlainRoll(stock) && !straight;

/**
 * A depth-first search for a lay that is no longer than a target: the lowest gap of the skyline is filled from its
 * left with one part after another, or levelled. What is levelled, or lies under a part that waits for its phase, counts
 * as waste, and a branch ends when the waste is more than the target leaves (width * target - area). Where little waste
 * is left it is quick: of matched parts only those fit a corner whose phase is right just there. Kinds are tried in
 * a random order that prefers good fits.
 */
export class TightSearch {
  private readonly kinds: PartClass[];
  private readonly counts: Int32Array;
  private readonly weights: Float64Array;
  private readonly segX: Nm[] = [];
  private readonly segW: Nm[] = [];
  private readonly segY: Nm[] = [];
  private readonly placed: { kind: number; way: Way; x: Nm; y: Nm }[] = [];
  private readonly phases: (ClassPhase | null)[];
  private nodes = 0;
  private readonly left: Nm;
  private readonly motif: ClassPhase;
  private readonly width: Nm;
  private readonly area: number;
  /** For each width in steps of `step`: the widest sum of parts' widths that fits it; null on too fine a grid. */
  private readonly widest: Int32Array | null;
  private readonly step: Nm;
  private readonly lowest: Nm;
  private readonly lattice: Lattice | null;

  constructor(
    private readonly job: LayJob,
    parts: readonly LayPart[],
    private readonly random: Random,
  ) {
    const { gap, lattice, stock } = job;
    const [{ left, right, motif }] = stock as [LayJob['stock'][number]];
    this.left = left;
    this.lattice = lattice;
    this.motif = [motif[0] - left, motif[1]];
    this.width = right - left + gap;
    const { kinds, groups } = gatherClasses(job, parts);
    this.kinds = kinds;
    this.phases = Array.from({ length: groups }, () => null);
    this.counts = Int32Array.from(this.kinds, ({ members }) => members.length);
    this.weights = new Float64Array(this.kinds.length);
    this.area = this.kinds.reduce((sum, { ways, members }) => sum + members.length * ways[0]!.w * ways[0]!.h, 0);
    const sides = this.kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h]));
    this.step = [this.width, ...sides].reduce(greatestCommon);
    this.lowest = Math.min(...sides);
    this.widest = this.fillable();
  }

  /** For each width in steps: the widest sum of parts' widths that fits it. */
  private fillable(): Int32Array | null {
    const reached = subsetSums(this.kinds, this.width, this.step, ({ w }) => w);
    if (!reached) return null;
    const widest = new Int32Array(reached.length);
    for (let u = 1; u < widest.length; u++) widest[u] = reached[u] ? u : widest[u - 1]!;
    return widest;
  }

  /** Looks for a lay of at most `target` nm within `limit` nodes; fills x, y and turned by part and returns true when found. */
  run(target: Nm, limit: number, x: Float64Array, y: Float64Array, turned: Uint8Array): boolean {
    const height = target + this.job.gap;
    // A hair below zero is rounding: areas pass 2^53.
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
      this.weights[k] = ways[0]!.w * ways[0]!.h * (0.4 + this.random.next());
    });
    this.nodes = limit;
    const parts = this.kinds.reduce((sum, { members }) => sum + members.length, 0);
    if (!this.descend(parts, height, Math.max(0, waste) + hair)) return false;
    const next = this.kinds.map(() => 0);
    for (const { kind, way, x: px, y: py } of this.placed) {
      const part = this.kinds[kind]!.members[next[kind]!++]!;
      x[part] = this.left + px;
      y[part] = py;
      turned[part] = way.turned;
    }
    return true;
  }

  private descend(left: number, height: Nm, waste: number): boolean {
    if (left === 0) return true;
    if (--this.nodes < 0) return false;
    const { segX, segW, segY, counts, kinds } = this;
    let s = 0;
    for (let i = 1; i < segY.length; i++) if (segY[i]! < segY[s]!) s = i;
    const [x, width, y] = [segX[s]!, segW[s]!, segY[s]!];
    const leftWall = s > 0 ? segY[s - 1]! - y : Infinity;
    const rightWall = s < segY.length - 1 ? segY[s + 1]! - y : Infinity;
    for (const { kind, way, dx, dy } of this.options(x, y, width, height, waste, leftWall, rightWall)) {
      counts[kind]!--;
      this.placed.push({ kind, way, x: x + dx, y: y + dy });
      const { group, shift } = kinds[kind]!;
      const isFirst = group >= 0 && this.phases[group] === null;
      if (isFirst) {
        const [motifX, motifY] = this.motif;
        this.phases[group] = phaseOf(x + dx + shift[0] - motifX, y + dy + shift[1] - motifY, this.lattice!);
      }
      const undo = this.put(s, dx, way.w, y + dy + way.h);
      if (this.descend(left - 1, height, waste - way.w * dy)) return true;
      undo();
      if (isFirst) this.phases[group] = null;
      this.placed.pop();
      counts[kind]!++;
      if (this.nodes < 0) return false;
    }
    const rise = Math.min(leftWall, rightWall);
    if (rise === Infinity || width * rise > waste || y + rise >= height) return false;
    const undo = this.put(s, 0, width, y + rise);
    if (this.descend(left, height, waste - width * rise)) return true;
    undo();
    return false;
  }

  /** Candidates for the lowest gap, best first. */
  private options(x: Nm, y: Nm, width: Nm, height: Nm, waste: number, leftWall: Nm, rightWall: Nm): Option[] {
    const options: Option[] = [];
    const { counts, kinds } = this;
    let narrowest = Infinity;
    for (let kind = 0; kind < counts.length; kind++) {
      if (counts[kind] === 0) continue;
      for (const { w } of kinds[kind]!.ways) if (w < narrowest) narrowest = w;
    }
    for (let kind = 0; kind < counts.length; kind++) {
      if (counts[kind] === 0) continue;
      if (!kinds[kind]!.ways.some(({ w, h }) => w <= width && y + h <= height)) continue;
      const [dx, dy] = this.offset(kinds[kind]!, x, y);
      for (const way of kinds[kind]!.ways) {
        if (dx + way.w > width || y + dy + way.h > height || way.w * dy > waste) continue;
        const rest = width - dx - way.w;
        // A sliver that no waiting part can fill is waste at once, up to the lower of its walls.
        if (dx > 0 && dx < narrowest && dx * Math.min(dy + way.h, leftWall) > waste) continue;
        if (rest > 0 && rest < narrowest && rest * Math.min(dy + way.h, rightWall) > waste) continue;
        // A gap that no row of parts fills is waste at least as high as the lowest part.
        const open = this.widest ? rest - this.widest[Math.floor(rest / this.step)]! * this.step : 0;
        if (open > 0 && open * Math.min(this.lowest, way.h, rightWall) > waste) continue;
        const top = dy + way.h;
        const isFull = dx === 0 && rest === 0;
        const score =
          (isFull ? (top === leftWall || top === rightWall ? 8 : 3) : top === leftWall ? 2 : 1) /
          (1 + (4 * way.w * dy) / (way.w * way.h));
        // A part whose phase is right just here is hardly here by chance.
        const isMatched = this.isBound(kinds[kind]!) && dx === 0 && dy === 0;
        options.push({ kind, way, dx, dy, rank: (isMatched ? MATCHED : 1) * score * this.weights[kind]! });
      }
    }
    return options.sort((a, b) => b.rank - a.rank);
  }

  private isBound({ fixed, group }: PartClass): boolean {
    return fixed !== null || (group >= 0 && this.phases[group] !== null);
  }

  /** How far right and up from a gap's corner a kind must lie for its phase. */
  private offset({ fixed, group, shift }: PartClass, x: Nm, y: Nm): ClassPhase {
    const { lattice } = this;
    const own = fixed ?? (group >= 0 ? this.phases[group] : null);
    if (!own || !lattice) return [0, 0];
    const wanted = fixed ?? phaseOf(own[0] - shift[0], own[1] - shift[1], lattice);
    const [fromX, fromY] = [x - this.motif[0], y - this.motif[1]];
    let dx = lattice.across === 0 ? 0 : wrap(wanted[0] - fromX, lattice.across);
    if (lattice.across - dx <= SAME || dx <= SAME) dx = 0;
    // At the snapped place the column is found from the exact phase.
    const column =
      lattice.across === 0 ? fromX : wanted[0] + Math.round((fromX + dx - wanted[0]) / lattice.across) * lattice.across;
    let dy = nextAlong(column, fromY, wanted, lattice) - fromY;
    if (lattice.along > 0 && (lattice.along - dy <= SAME || dy <= SAME)) dy = 0;
    return [dx, dy];
  }

  /** Raises a part of a segment to `top`, joins equal neighbours, and returns the way back. */
  private put(s: number, dx: Nm, w: Nm, top: Nm): () => void {
    const { segX, segW, segY } = this;
    const saved = [segX.slice(), segW.slice(), segY.slice()] as const;
    const [x, width, y] = [segX[s]!, segW[s]!, segY[s]!];
    const bits = [
      [x, dx, y],
      [x + dx, w, top],
      [x + dx + w, width - dx - w, y],
    ].filter(([, bit]) => bit! > 0);
    segX.splice(s, 1, ...bits.map((bit) => bit[0]!));
    segW.splice(s, 1, ...bits.map((bit) => bit[1]!));
    segY.splice(s, 1, ...bits.map((bit) => bit[2]!));
    for (let i = Math.min(s + bits.length, segY.length - 1); i >= Math.max(1, s); i--) {
      if (segY[i] !== segY[i - 1]) continue;
      segW[i - 1]! += segW[i]!;
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
}

import { phaseOf, type Lattice } from '../../../cloth';
import type { Nm } from '../../../length';
import { Level } from './beam';
import type { LayJob } from '../../model/job';
import { greatestCommon, subsetSums, type PartClass, type ClassPhase, type Way } from '../../search/part-classes';
import type { Floors, Slot } from '../../geometry/skylines';

/** Phases that differ by no more than this (nm) are the same: anchors are rounded to whole nanometres. */
const SAME = 4;

/** A way of a kind, its area in mean parts, and how the point that has to be on phase lies from its corner. */
interface Entry {
  kind: number;
  way: Way;
  size: number;
  shift: ClassPhase;
}

/** The pattern, and the ways of all kinds, narrow ones first, as they are seen from the end that is filled first. */
interface View {
  lattice: Lattice | null;
  /** The motif point, from the left edge of the usable cloth. */
  motif: ClassPhase;
  entries: readonly Entry[];
  /** The phases of the left and the right lower corner of each entry that the pattern fixes; x, then y. */
  corners: readonly Float64Array[];
}

/** States with the phases of their groups, and the evidence for them. Skylines beyond their number are those of levelled ones. */
export class BeamLevel extends Level {
  readonly phases: (readonly (ClassPhase | null)[])[] = [];
  /** Bits of evidence. */
  readonly score: Float64Array;
  /** Which state each skyline belongs to, and how many there are. */
  readonly stateOf: Int32Array;
  skylineCount = 0;

  constructor(
    private readonly width: number,
    segments: number,
    kinds: number,
    spare: number,
    floors: Floors | null,
  ) {
    super(width, segments, kinds, spare, floors);
    this.score = new Float64Array(width);
    this.stateOf = new Int32Array(width + spare);
  }

  /** Makes the `size` states that have been made ready to be gone on from. */
  open(size: number) {
    this.size = size;
    this.skylineCount = this.width;
    for (let state = 0; state < size; state++) this.stateOf[state] = state;
    this.chains.length = this.phases.length = size;
  }

  /** Another skyline like that; its number. */
  copyOf(slot: Slot): Slot {
    const to = this.skylineCount++;
    this.skylines.copy(to, slot);
    this.stateOf[to] = this.stateOf[slot]!;
    this.waste[to] = this.waste[slot]!;
    return to;
  }
}

/** Candidates for one corner: the numbers of entries, and the cloth (nm²) that each wastes there. */
export class Choices {
  count = 0;
  /** Tells whether they all are on a phase that is known, and no others are to be looked at. */
  isBound = false;
  segment = -1;
  /** How high the wall is that a slit beside a part there has at its other side (nm). */
  wall: Nm = Infinity;
  readonly entry: Uint16Array;
  readonly waste: Float64Array;

  constructor(
    most: number,
    readonly isRight: boolean,
  ) {
    this.entry = new Uint16Array(most);
    this.waste = new Float64Array(most);
  }

  /** Empties the list for a corner of that segment. */
  start(segment: number, wall: Nm) {
    this.count = 0;
    this.isBound = false;
    this.segment = segment;
    this.wall = wall;
  }

  add(entry: number, waste: number) {
    this.entry[this.count] = entry;
    this.waste[this.count++] = waste;
  }
}

/** Under what a beam fills its corners. */
interface Filling {
  /** How far the lay may reach, and what it may waste (nm²), the gap with it. */
  height: Nm;
  budget: number;
  /** A part that is right by its phase is taken without looking at others. */
  isForcing: boolean;
}

/** Candidates for the corners of a skyline's valleys, for parts that leave next to nothing over. */
export class Corners {
  /** From the near end, and in the run in hand. */
  private readonly near: View;
  view: View;
  /** Over all ways of parts. */
  readonly narrowest: Nm;
  /** Common divisor of all sides. */
  readonly step: Nm;
  /** The width and the height of each entry, the gap with it. */
  readonly w: Float64Array;
  readonly h: Float64Array;
  private readonly sumsAcross: Uint8Array | null;
  private readonly sumsAlong: Uint8Array | null;
  /** The entries by what the pattern asks of them: fixed by it, of a group, or free; then the kind and the group of each. */
  private readonly fixed: Uint16Array;
  private readonly grouped: Uint16Array;
  private readonly free: Uint16Array;
  private readonly kindOf: Uint16Array;
  private readonly groupOf: Int16Array;
  /** Lists that are used by turns: two for each side are kept, one filled. */
  private readonly choices: Choices[];
  private filling: Filling = { height: 0, budget: 0, isForcing: false };
  private isTight = false;

  /** The lengths that lie on the cloth are `width` across at most, and `longest` along; the gap with it. */
  constructor(
    private readonly job: LayJob,
    private readonly kinds: readonly PartClass[],
    width: Nm,
    longest: Nm,
  ) {
    const { lattice, stock } = job;
    const [{ left, motif }] = stock as [LayJob['stock'][number]];
    const area = kinds.reduce((sum, { ways, members }) => sum + members.length * ways[0]!.w * ways[0]!.h, 0);
    const meanArea = area / kinds.reduce((sum, { members }) => sum + members.length, 0);
    const entries = kinds
      .flatMap(({ ways, shift }, kind) => ways.map((way) => ({ kind, way, size: (way.w * way.h) / meanArea, shift })))
      .sort((a, b) => a.way.w - b.way.w);
    this.near = this.view = viewOf(lattice, [motif[0] - left, motif[1]], entries);
    const numbers = (isOne: (kind: PartClass) => boolean) =>
      Uint16Array.from(entries.flatMap(({ kind }, e) => (isOne(kinds[kind]!) ? [e] : [])));
    this.fixed = numbers(({ fixed }) => fixed !== null);
    this.grouped = numbers(({ fixed, group }) => fixed === null && group >= 0);
    this.free = numbers(({ fixed, group }) => fixed === null && group < 0);
    this.kindOf = Uint16Array.from(entries, ({ kind }) => kind);
    this.groupOf = Int16Array.from(entries, ({ kind }) => kinds[kind]!.group);
    this.w = Float64Array.from(entries, ({ way }) => way.w);
    this.h = Float64Array.from(entries, ({ way }) => way.h);
    const sides = kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h]));
    this.narrowest = Math.min(...kinds.flatMap(({ ways }) => ways.map(({ w }) => w)));
    this.step = [width, ...sides].reduce(greatestCommon);
    this.sumsAcross = subsetSums(kinds, width, this.step, ({ w }) => w);
    this.sumsAlong = subsetSums(kinds, longest, this.step, ({ h }) => h);
    this.choices = Array.from({ length: 6 }, (_, i) => new Choices(entries.length, i % 2 === 1));
  }

  /** Begins a run: `far` (nm) is how long the lay is to be when it is filled from its far end, null from the near one. */
  start(filling: Filling, far: Nm | null) {
    this.filling = filling;
    this.isTight = filling.budget < this.step * this.step;
    this.view = far === null ? this.near : this.fromFarEnd(far);
  }

  private fromFarEnd(target: Nm): View {
    const { lattice, motif, entries } = this.near;
    const { gap } = this.job;
    return viewOf(
      lattice && { ...lattice, shift: -lattice.shift },
      [motif[0], target - motif[1]],
      entries.map((one) => ({ ...one, shift: [one.shift[0], one.way.h - gap - one.shift[1]] })),
    );
  }

  /** The corner with the fewest choices, and that with the fewest of those which must be taken. */
  fewestChoices(now: BeamLevel, slot: Slot): { fewest: Choices | null; forced: Choices | null } {
    const spare = this.choices.slice();
    let fewest: Choices | null = null;
    let forced: Choices | null = null;
    for (const s of this.valleysOf(now, slot)) {
      const [left, right] = [spare.find(({ isRight }) => !isRight)!, spare.find(({ isRight }) => isRight)!];
      // A corner with more choices than another one need not be looked at to the end.
      this.look(now, slot, s, left, right, fewest?.count ?? Infinity);
      for (const found of [left, right]) {
        const least: Choices | null = found.isBound ? forced : fewest;
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
  private valleysOf(now: BeamLevel, slot: Slot): number[] {
    const { y, w, most, count } = now.skylines;
    const first = slot * most;
    const n = count[slot]!;
    const valleys: number[] = [];
    for (let s = 0; s < n; s++) {
      const i = first + s;
      // Level stretches that are not one for straight cutting are walls to each other.
      if ((s > 0 && y[i - 1]! < y[i]!) || (s < n - 1 && y[i + 1]! < y[i]!)) continue;
      let k = valleys.length;
      for (; k > 0 && w[first + valleys[k - 1]!]! > w[i]!; k--) valleys[k] = valleys[k - 1]!;
      valleys[k] = s;
    }
    return valleys;
  }

  /** Finds what fits the two corners of a valley: where forcing, what is on a known phase alone, if any is; up to `most` others. */
  private look(now: BeamLevel, slot: Slot, s: number, left: Choices, right: Choices, most: number) {
    const { free, w } = this;
    const { skylines } = now;
    const i = slot * skylines.most + s;
    const [x, width, y] = [skylines.x[i]!, skylines.w[i]!, skylines.y[i]!];
    const leftWall = s > 0 ? skylines.y[i - 1]! : Infinity;
    const rightWall = s < skylines.count[slot]! - 1 ? skylines.y[i + 1]! : Infinity;
    left.start(s, rightWall);
    right.start(s, leftWall);
    if (this.view.lattice) {
      this.lookAtPhases(now, slot, x, width, y, left, most);
      this.lookAtPhases(now, slot, x + width, width, y, right, most);
    }
    const isLeft = !left.isBound && left.count < most;
    const isRight = !right.isBound && right.count < most;
    if (!isLeft && !isRight) return;
    const widest = width - this.narrowest;
    for (let k = 0; k < free.length; k++) {
      const e = free[k]!;
      const wide = w[e]!;
      if (wide > width) return;
      if (!this.canLie(now, slot, e, width, y)) continue;
      const isSlit = wide > widest && wide < width;
      if (isLeft) {
        if (isSlit) this.choose(now, slot, e, width, y, left);
        else left.add(e, 0);
      }
      if (isRight) {
        if (isSlit) this.choose(now, slot, e, width, y, right);
        else right.add(e, 0);
      }
      if (left.count >= most && right.count >= most) return;
    }
  }

  /** Candidates that the pattern binds for a corner at `x`. */
  private lookAtPhases(now: BeamLevel, slot: Slot, x: Nm, width: Nm, y: Nm, found: Choices, most: number) {
    const { fixed, grouped, groupOf, w } = this;
    const { isRight } = found;
    const lattice = this.view.lattice!;
    const [ax, ay] = phaseOf(x, y, lattice);
    const corners = this.view.corners[isRight ? 1 : 0]!;
    for (let k = 0; k < fixed.length; k++) {
      const e = fixed[k]!;
      if (w[e]! > width) break;
      const off = Math.abs(ax - corners[2 * e]!);
      if (off > SAME && off < lattice.across - SAME) continue;
      if (off <= SAME) {
        const aside = Math.abs(ay - corners[2 * e + 1]!);
        if (aside > SAME && aside < lattice.along - SAME) continue;
      } else if (!this.isExact(isRight ? x - w[e]! : x, y, e, null)) continue;
      if (this.canLie(now, slot, e, width, y)) this.choose(now, slot, e, width, y, found);
    }
    const phases = now.phases[now.stateOf[slot]!]!;
    // Groups whose phase is known come first: others need not be looked at where something must be taken.
    for (const isKnown of [true, false]) {
      for (let k = 0; k < grouped.length; k++) {
        const e = grouped[k]!;
        if (w[e]! > width) break;
        const phase = phases[groupOf[e]!]!;
        if (isKnown !== (phase !== null)) continue;
        if (phase && !this.isExact(isRight ? x - w[e]! : x, y, e, phase)) continue;
        if (this.canLie(now, slot, e, width, y)) this.choose(now, slot, e, width, y, found);
      }
      if (isKnown) found.isBound = this.filling.isForcing && found.count > 0;
      if (found.isBound || found.count >= most) return;
    }
  }

  /** Tells whether an entry is left, is not too high, and what it leaves beside and above it can be filled where nothing may be wasted. */
  private canLie(now: BeamLevel, slot: Slot, e: number, width: Nm, y: Nm): boolean {
    const top = y + this.h[e]!;
    if (top > this.filling.height || now.counts[now.stateOf[slot]! * this.kinds.length + this.kindOf[e]!] === 0)
      return false;
    return (
      !this.isTight ||
      (this.canFill(this.sumsAlong, this.filling.height - top) && this.canFill(this.sumsAcross, width - this.w[e]!))
    );
  }

  /** Counts an entry among the choices unless a slit beside it wastes too much. */
  private choose(now: BeamLevel, slot: Slot, e: number, width: Nm, y: Nm, found: Choices) {
    const rest = width - this.w[e]!;
    const isSlit = rest > 0 && rest < this.narrowest;
    const waste = isSlit ? rest * (Math.min(y + this.h[e]!, found.wall) - y) : 0;
    if (now.waste[slot]! + waste > this.filling.budget) return;
    found.add(e, waste);
  }

  /** True when a part's phase is right with its corner there: its group's, or where that is null, the motif point's. */
  private isExact(x: Nm, y: Nm, entry: number, own: ClassPhase | null): boolean {
    const { motif, entries } = this.view;
    const { shift } = entries[entry]!;
    const lattice = this.view.lattice!;
    const [fx, fy] = [x + shift[0] - motif[0] - (own?.[0] ?? 0), y + shift[1] - motif[1] - (own?.[1] ?? 0)];
    let column = 0;
    if (lattice.across > 0) {
      column = Math.round(fx / lattice.across);
      if (Math.abs(fx - column * lattice.across) > SAME) return false;
    }
    if (lattice.along === 0) return true;
    const off = fy - column * lattice.shift;
    return Math.abs(off - Math.round(off / lattice.along) * lattice.along) <= SAME;
  }

  private canFill(sums: Uint8Array | null, length: Nm): boolean {
    if (length === 0 || !sums) return true;
    const at = length / this.step;
    return at < sums.length && sums[at] === 1;
  }
}

function viewOf(lattice: Lattice | null, motif: ClassPhase, entries: readonly Entry[]): View {
  const corners = [0, 1].map((side) =>
    Float64Array.from(
      lattice
        ? entries.flatMap(({ way, shift }) => phaseOf(motif[0] - shift[0] + side * way.w, motif[1] - shift[1], lattice))
        : [],
    ),
  );
  return { lattice, motif, entries, corners };
}

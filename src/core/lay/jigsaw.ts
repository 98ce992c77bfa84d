import { phaseOf, type Lattice } from '../cloth';
import type { Nm } from '../length';
import { Children, growBest, Level } from './beam';
import type { LayJob } from './job';
import {
  gatherKinds,
  greatestCommon,
  layOf,
  subsetSums,
  type ChainLay,
  type Kind,
  type Phase,
  type Way,
} from './kinds';
import type { Part } from './parts';
import type { Random } from './random';
import { Floors, type Slot } from './skylines';

/** Phases that differ by no more than this (nm) are the same: anchors are rounded to whole nanometres. */
const SAME = 4;
/** Fewer than so many parts would fit a corner by chance: one that does may be taken without looking at others. */
const SELDOM = 0.5;
const NOISE = 2;
/** Valleys that are levelled one after another at most. */
const MOST_LEVELLED = 6;
/** Of these, so many that take something are filled: what is levelled for nothing is waste. */
const MOST_OFFERED = 2;
/** Lays that are told at the end of a run. */
const MOST_LAYS = 12;

/** A way of a kind, its area in mean parts, and how the point that has to be on phase lies from its corner. */
interface Entry {
  kind: number;
  way: Way;
  size: number;
  shift: Phase;
}

/** The pattern, and the ways of all kinds, narrow ones first, as they are seen from the end that is filled first. */
interface View {
  lattice: Lattice | null;
  /** The motif point, from the left edge of the usable cloth. */
  motif: Phase;
  entries: readonly Entry[];
  /** The phases of the left and the right lower corner of each entry that the pattern fixes; x, then y. */
  corners: readonly Float64Array[];
}

/** States with the phases of their groups, and what tells for them. Skylines beyond their number are those of levelled ones. */
class JigsawLevel extends Level {
  readonly phases: (readonly (Phase | null)[])[] = [];
  /** Bits of evidence. */
  readonly score: Float64Array;
  /** Which state each skyline belongs to, and how many there are. */
  readonly stateOf: Int32Array;
  skylineCount = 0;

  constructor(
    private readonly width: number,
    segments: number,
    kinds: number,
    floors: Floors | null,
  ) {
    super(width, segments, kinds, MOST_OFFERED * width, floors);
    this.score = new Float64Array(width);
    this.stateOf = new Int32Array((1 + MOST_OFFERED) * width);
  }

  /** Makes the `size` states ready to be gone on from. */
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

/** Places with the bits that tell for them, and the cloth (nm²) that they waste. */
class JigsawChildren extends Children {
  readonly gain: Float64Array;
  readonly waste: Float64Array;

  constructor(most: number) {
    super(most);
    this.gain = new Float64Array(most);
    this.waste = new Float64Array(most);
  }

  protected override move(to: number, from: number) {
    super.move(to, from);
    this.gain[to] = this.gain[from]!;
    this.waste[to] = this.waste[from]!;
  }
}

/** What fits one corner: the numbers of entries, and the cloth (nm²) that each wastes there. */
class Choices {
  count = 0;
  /** Whether they all are on a phase that is known, and no others are to be looked at. */
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

/** What a lay of `target` nm on the one length leaves of the cloth (nm²), 0 when the parts fill it exactly. */
export function wasteAt({ gap, stock }: LayJob, parts: readonly Part[], target: Nm): number {
  const area = parts.reduce((sum, { width, height }) => sum + (width + gap) * (height + gap), 0);
  const waste = (stock[0]!.right - stock[0]!.left + gap) * (target + gap) - area;
  return Math.abs(waste) <= 1e-9 * area ? 0 : waste;
}

/**
 * Whether parts might fill `target` nm of the one length exactly: their area must, and every line along the cloth crosses
 * parts only, whose sides add up to the length.
 */
export function canFillExactly(job: LayJob, parts: readonly Part[], target: Nm): boolean {
  const { gap } = job;
  const sides = parts.flatMap(({ width, height, turns }) => (turns.length > 1 ? [width, height] : turns[0] === 90 ? [width] : [height])); // prettier-ignore
  const step = sides.map((side) => side + gap).reduce(greatestCommon);
  return (target + gap) % step === 0 && wasteAt(job, parts, target) === 0;
}

/**
 * A beam search for a lay without waste, or nearly: each state is a skyline; one of its valleys is filled at a corner by a
 * part, and of all the states with equally many parts the most believable are kept. Belief is counted in bits: a part whose
 * phase is right just where a corner is, that fills a valley from wall to wall or ends level with a neighbour is hardly
 * there by chance. Where a matched part fits a corner that hardly any other would, it is taken at once.
 */
export class Jigsaw {
  private readonly kinds: Kind[];
  private readonly groups: number;
  /** From the near end, and in the run in hand. */
  private readonly near: View;
  private view: View;
  private readonly left: Nm;
  private readonly width: Nm;
  private readonly area: number;
  private readonly sumsAcross: Uint8Array | null;
  private readonly sumsAlong: Uint8Array | null;
  private readonly step: Nm;
  private readonly narrowest: Nm;
  private readonly phaseBits: number;
  private readonly widthBits: number;
  private readonly canForce: boolean;
  private readonly keys: Int32Array;
  private readonly floors: Floors | null;
  /** The entries by what the pattern asks of them: fixed by it, of a group, or free; then the kind, the group and the size of each. */
  private readonly fixed: Uint16Array;
  private readonly grouped: Uint16Array;
  private readonly free: Uint16Array;
  private readonly kindOf: Uint16Array;
  private readonly groupOf: Int16Array;
  private readonly w: Float64Array;
  private readonly h: Float64Array;
  private now: JigsawLevel;
  private next: JigsawLevel;
  private children: JigsawChildren;
  /** Lists that are used by turns: two for each side are kept, two filled. */
  private readonly choices: Choices[];
  private isForcing = false;
  private largeFirst = 1;
  /** How far the run in hand may reach and what it may waste, the gap with it. */
  private height: Nm = 0;
  private budget = 0;
  private isTight = false;
  /** What ranks lower in this level need not be looked at. */
  private least = -Infinity;

  constructor(
    private readonly job: LayJob,
    private readonly parts: readonly Part[],
    private readonly random: Random,
    longest: Nm,
  ) {
    const { gap, lattice, stock } = job;
    const [{ left, right, motif }] = stock as [LayJob['stock'][number]];
    this.left = left;
    this.width = right - left + gap;
    const gathered = gatherKinds(job, parts);
    this.kinds = gathered.kinds;
    this.groups = gathered.groups;
    this.area = this.kinds.reduce((sum, { ways, members }) => sum + members.length * ways[0]!.w * ways[0]!.h, 0);
    const meanArea = this.area / parts.length;
    const entries = this.kinds
      .flatMap(({ ways, shift }, kind) => ways.map((way) => ({ kind, way, size: (way.w * way.h) / meanArea, shift })))
      .sort((a, b) => a.way.w - b.way.w);
    this.near = this.view = viewOf(lattice, [motif[0] - left, motif[1]], entries);
    const numbers = (isOne: (kind: Kind) => boolean) => Uint16Array.from(entries.flatMap(({ kind }, e) => (isOne(this.kinds[kind]!) ? [e] : []))); // prettier-ignore
    this.fixed = numbers(({ fixed }) => fixed !== null);
    this.grouped = numbers(({ fixed, group }) => fixed === null && group >= 0);
    this.free = numbers(({ fixed, group }) => fixed === null && group < 0);
    this.kindOf = Uint16Array.from(entries, ({ kind }) => kind);
    this.groupOf = Int16Array.from(entries, ({ kind }) => this.kinds[kind]!.group);
    this.w = Float64Array.from(entries, ({ way }) => way.w);
    this.h = Float64Array.from(entries, ({ way }) => way.h);
    const sides = this.kinds.flatMap(({ ways }) => ways.flatMap(({ w, h }) => [w, h]));
    this.narrowest = Math.min(...this.kinds.flatMap(({ ways }) => ways.map(({ w }) => w)));
    this.step = [this.width, ...sides].reduce(greatestCommon);
    this.sumsAcross = subsetSums(this.kinds, this.width, this.step, ({ w }) => w);
    this.sumsAlong = subsetSums(this.kinds, longest + gap, this.step, ({ h }) => h);
    const grid = Math.max(this.step, this.width / 2000);
    const chance =
      (lattice && lattice.across > 0 ? Math.min(1, grid / lattice.across) : 1) *
      (lattice && lattice.along > 0 ? Math.min(1, grid / lattice.along) : 1);
    this.phaseBits = -Math.log2(chance);
    this.widthBits = Math.log2(this.width / grid);
    this.canForce = chance * parts.length < SELDOM;
    this.keys = Int32Array.from({ length: this.kinds.length }, () => Math.floor(random.next() * 2 ** 31) | 1);
    this.floors = job.straight ? new Floors() : null;
    this.choices = Array.from({ length: 6 }, (_, i) => new Choices(entries.length, i % 2 === 1));
    this.now = this.next = this.levelOf(0);
    this.children = new JigsawChildren(0);
  }

  private levelOf(width: number): JigsawLevel {
    // Each part makes two segments more at most. None is narrower than the narrowest part, but where floors keep slits apart.
    const all = 2 * this.parts.length + 1;
    const most = this.floors ? all : Math.min(Math.floor(this.width / this.narrowest), all) + 3;
    return new JigsawLevel(width, most, this.kinds.length, this.floors);
  }

  /**
   * Looks for a lay of at most `target` nm with a beam of `width` states. Yields after each level how many states it has
   * kept; returns the best of the last states: they hold all parts when it has found one, and else as many as it could place
   * (their number is the level). `isForcing`: what fits by a small chance is taken without looking at others. `largeFirst`:
   * so many bits the area of a mean part counts beside the bits of evidence. `isFlipped`: the lay is filled from its far end.
   */
  *run(
    target: Nm,
    width: number,
    isForcing: boolean,
    largeFirst = 1,
    isFlipped = false,
  ): Generator<number, ChainLay[], void> {
    this.view = isFlipped ? this.fromFarEnd(target) : this.near;
    this.isForcing = isForcing && this.canForce;
    this.largeFirst = largeFirst;
    const lays = yield* this.fill(target, width);
    if (!isFlipped) return lays;
    for (const { stock, y, turned } of lays) {
      this.parts.forEach(({ width: w, height: h }, i) => {
        if (stock[i] === 0) y[i] = target - y[i]! - (turned[i] === 1 ? w : h);
      });
    }
    return lays;
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

  private *fill(target: Nm, width: number): Generator<number, ChainLay[], void> {
    const hair = 1e-9 * this.area;
    this.height = target + this.job.gap;
    const free = this.width * this.height - this.area;
    if (free < -hair) return [];
    this.budget = Math.max(0, free) + hair;
    this.isTight = this.budget < this.step * this.step;
    this.now = this.levelOf(width);
    this.next = this.levelOf(width);
    const most = 12 * width;
    this.children = new JigsawChildren(most + MOST_OFFERED * this.kindOf.length);
    this.floors?.reset(0, this.width);
    this.now.start(0, this.width, this.kinds.map(({ members }) => members.length)); // prettier-ignore
    this.now.phases[0] = Array.from({ length: this.groups }, () => null);
    this.now.score[0] = 0;
    this.now.open(1);
    for (let level = 0; level < this.parts.length; level++) {
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
    const best = Array.from({ length: size }, (_, i) => i).sort((a, b) => this.now.score[b]! - this.now.score[a]!);
    return best.slice(0, MOST_LAYS).map((state) => layOf(chains[state]!, this.kinds, this.parts.length, 0, this.left));
  }

  /** Makes the best children the states of the next level. */
  private goOn(width: number) {
    const { next } = this;
    next.open(growBest(this.children, width, next, (child, to) => this.grow(child, to)));
    this.next = this.now;
    this.now = next;
  }

  private canFill(sums: Uint8Array | null, length: Nm): boolean {
    if (length === 0 || !sums) return true;
    const at = length / this.step;
    return at < sums.length && sums[at] === 1;
  }

  /** All that may be put into one valley of a state: the one with the fewest choices. A valley that takes nothing is levelled. */
  private expand(state: Slot) {
    const { now } = this;
    const { skylines } = now;
    let slot = state;
    let isOffered = true;
    let offered = 0;
    for (let tries = 0; tries < MOST_LEVELLED; tries++) {
      const { fewest, forced } = this.fewestChoices(slot);
      if (fewest?.count !== 0) {
        isOffered = true;
        this.offer(slot, forced ?? fewest!);
        if (forced || ++offered >= MOST_OFFERED) return;
      }
      // What may also be done, and must where nothing fits, is to leave the valley open.
      const s = fewest!.segment;
      const i = slot * skylines.most + s;
      const level = this.lowerWall(slot, s);
      const lost = skylines.w[i]! * (level - skylines.y[i]!);
      if (level === Infinity || now.waste[slot]! + lost > this.budget || level > this.height) return;
      if (isOffered) slot = now.copyOf(slot);
      isOffered = false;
      now.waste[slot]! += lost;
      skylines.raise(slot, s, level);
    }
  }

  /** The corner with the fewest choices, and that with the fewest of those which must be taken. */
  private fewestChoices(slot: Slot): { fewest: Choices | null; forced: Choices | null } {
    const spare = this.choices.slice();
    let fewest: Choices | null = null;
    let forced: Choices | null = null;
    for (const s of this.valleysOf(slot)) {
      const [left, right] = [spare.find(({ isRight }) => !isRight)!, spare.find(({ isRight }) => isRight)!];
      // A corner with more choices than another one need not be looked at to the end.
      this.look(slot, s, left, right, fewest?.count ?? Infinity);
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

  /** The lower of the neighbours that are higher than a valley, Infinity for none. */
  private lowerWall(slot: Slot, s: number): Nm {
    const { y, most, count } = this.now.skylines;
    const i = slot * most + s;
    const before = s > 0 && y[i - 1]! > y[i]! ? y[i - 1]! : Infinity;
    const after = s < count[slot]! - 1 && y[i + 1]! > y[i]! ? y[i + 1]! : Infinity;
    return Math.min(before, after);
  }

  /** The stretches of the skyline that have no lower neighbour, narrow ones first: they have few choices, by which others are given up early. */
  private valleysOf(slot: Slot): number[] {
    const { y, w, most, count } = this.now.skylines;
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
  private look(slot: Slot, s: number, left: Choices, right: Choices, most: number) {
    const { free, w } = this;
    const { skylines } = this.now;
    const i = slot * skylines.most + s;
    const [x, width, y] = [skylines.x[i]!, skylines.w[i]!, skylines.y[i]!];
    const leftWall = s > 0 ? skylines.y[i - 1]! : Infinity;
    const rightWall = s < skylines.count[slot]! - 1 ? skylines.y[i + 1]! : Infinity;
    left.start(s, rightWall);
    right.start(s, leftWall);
    if (this.view.lattice) {
      this.lookAtPhases(slot, x, width, y, left, most);
      this.lookAtPhases(slot, x + width, width, y, right, most);
    }
    const isLeft = !left.isBound && left.count < most;
    const isRight = !right.isBound && right.count < most;
    if (!isLeft && !isRight) return;
    const widest = width - this.narrowest;
    for (let k = 0; k < free.length; k++) {
      const e = free[k]!;
      const wide = w[e]!;
      if (wide > width) return;
      if (!this.canLie(slot, e, width, y)) continue;
      const isSlit = wide > widest && wide < width;
      if (isLeft) {
        if (isSlit) this.choose(slot, e, width, y, left);
        else left.add(e, 0);
      }
      if (isRight) {
        if (isSlit) this.choose(slot, e, width, y, right);
        else right.add(e, 0);
      }
      if (left.count >= most && right.count >= most) return;
    }
  }

  /** What fits a corner at `x` of what the pattern binds. */
  private lookAtPhases(slot: Slot, x: Nm, width: Nm, y: Nm, found: Choices, most: number) {
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
      if (this.canLie(slot, e, width, y)) this.choose(slot, e, width, y, found);
    }
    const phases = this.now.phases[this.now.stateOf[slot]!]!;
    // Groups whose phase is known come first: others need not be looked at where something must be taken.
    for (const isKnown of [true, false]) {
      for (let k = 0; k < grouped.length; k++) {
        const e = grouped[k]!;
        if (w[e]! > width) break;
        const phase = phases[groupOf[e]!]!;
        if (isKnown !== (phase !== null)) continue;
        if (phase && !this.isExact(isRight ? x - w[e]! : x, y, e, phase)) continue;
        if (this.canLie(slot, e, width, y)) this.choose(slot, e, width, y, found);
      }
      if (isKnown) found.isBound = this.isForcing && found.count > 0;
      if (found.isBound || found.count >= most) return;
    }
  }

  /** Whether an entry is left, is not too high, and what it leaves beside and above it can be filled where nothing may be wasted. */
  private canLie(slot: Slot, e: number, width: Nm, y: Nm): boolean {
    const { now } = this;
    const top = y + this.h[e]!;
    if (top > this.height || now.counts[now.stateOf[slot]! * this.kinds.length + this.kindOf[e]!] === 0) return false;
    return (
      !this.isTight ||
      (this.canFill(this.sumsAlong, this.height - top) && this.canFill(this.sumsAcross, width - this.w[e]!))
    );
  }

  /** Counts an entry among the choices unless a slit beside it wastes too much. */
  private choose(slot: Slot, e: number, width: Nm, y: Nm, found: Choices) {
    const rest = width - this.w[e]!;
    const isSlit = rest > 0 && rest < this.narrowest;
    const waste = isSlit ? rest * (Math.min(y + this.h[e]!, found.wall) - y) : 0;
    if (this.now.waste[slot]! + waste > this.budget) return;
    found.add(e, waste);
  }

  /** True when a part's phase is right with its corner there: its group's, or where that is null, the motif point's. */
  private isExact(x: Nm, y: Nm, entry: number, own: Phase | null): boolean {
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

  /** Makes children of the choices that rank high enough in this level so far. */
  private offer(slot: Slot, { count, segment: s, isRight, entry, waste }: Choices) {
    const { now, children, random, floors, view } = this;
    const { skylines } = now;
    const state = now.stateOf[slot]!;
    const i = slot * skylines.most + s;
    const [isFirst, isLast] = [s === 0, s === skylines.count[slot]! - 1];
    const [sx, width, sy] = [skylines.x[i]!, skylines.w[i]!, skylines.y[i]!];
    const leftWall = isFirst ? Infinity : skylines.y[i - 1]!;
    const rightWall = isLast ? Infinity : skylines.y[i + 1]!;
    const floor = skylines.floor[i]!;
    const isOnFloor = !floors || sy === floors.level[floor];
    // To be level with a neighbour is nothing where they don't stand on one floor.
    const isLeft = !floors || (!isFirst && skylines.floor[i - 1] === floor);
    const isBeside = !floors || (!isLast && skylines.floor[i + 1] === floor);
    const perWaste = (2 * Math.sqrt(this.parts.length)) / (this.budget + 1);
    for (let k = 0; k < count; k++) {
      const e = entry[k]!;
      const { kind, size } = view.entries[e]!;
      const { fixed, group } = this.kinds[kind]!;
      const rest = width - this.w[e]!;
      const top = sy + this.h[e]!;
      const isOn = isOnFloor || rest === 0;
      let bits = fixed || (group >= 0 && now.phases[state]![group]) ? this.phaseBits : 0;
      if (rest === 0) bits += this.widthBits * 0.6;
      if (top === leftWall && isOn && isLeft && (!isRight || rest === 0)) bits += this.widthBits * 0.4;
      if (top === rightWall && isOn && isBeside && (isRight || rest === 0)) bits += this.widthBits * 0.4;
      if (top === this.height) bits += this.widthBits * 0.2;
      const gain = bits + this.largeFirst * size;
      const wasted = now.waste[slot]! + waste[k]!;
      const rank = now.score[state]! + gain - wasted * perWaste + random.next() * NOISE;
      if (rank < this.least) continue;
      const child = children.add(slot, s, e, isRight ? sx + rest : sx, rank);
      children.gain[child] = gain;
      children.waste[child] = wasted;
    }
  }

  /** Makes a child a state of the next level. */
  private grow(child: number, to: Slot) {
    const { now, next, children } = this;
    const slot = children.parent[child]!;
    const s = children.segment[child]!;
    const px = children.px[child]!;
    const state = now.stateOf[slot]!;
    const { kind, way, shift } = this.view.entries[children.way[child]!]!;
    const py = now.skylines.y[slot * now.skylines.most + s]!;
    next.skylines.lay(to, now.skylines, slot, s, px, way.w, py + way.h, this.narrowest);
    next.takeOne(to, now, state, kind);
    next.waste[to] = children.waste[child]!;
    next.score[to] = now.score[state]! + children.gain[child]!;
    next.hash[to] = now.hash[state]! + this.keys[kind]!;
    next.chains[to] = { parent: now.chains[state]!, kind, way, px, py };
    next.phases[to] = now.phases[state]!;
    const { group } = this.kinds[kind]!;
    const { lattice, motif } = this.view;
    if (group < 0 || !lattice || next.phases[to][group]) return;
    const [x, y] = phaseOf(px + shift[0] - motif[0], py + shift[1] - motif[1], lattice);
    next.phases[to] = next.phases[to].with(group, [x, y]);
    next.hash[to]! += Math.imul(Math.round(x * 7 + y * 13), this.keys[group]!);
  }
}

function viewOf(lattice: Lattice | null, motif: Phase, entries: readonly Entry[]): View {
  const corners = [0, 1].map((side) =>
    Float64Array.from(
      lattice
        ? entries.flatMap(({ way, shift }) => phaseOf(motif[0] - shift[0] + side * way.w, motif[1] - shift[1], lattice))
        : [],
    ),
  );
  return { lattice, motif, entries, corners };
}

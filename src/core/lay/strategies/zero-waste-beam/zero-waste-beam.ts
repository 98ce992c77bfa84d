import { phaseOf } from '../../../cloth';
import type { Nm } from '../../../length';
import { Children, growBest } from './beam';
import { Corners, BeamLevel, type Choices } from './corners';
import type { LayJob } from '../../model/job';
import { gatherClasses, greatestCommon, layOf, type ChainLay, type PartClass } from '../../search/part-classes';
import type { LayPart } from '../../model/parts';
import type { Random } from '../../search/random';
import { Floors, type Slot } from '../../geometry/skylines';

/** Fewer than so many parts would fit a corner by chance: one that does may be taken without looking at others. */
const SELDOM = 0.5;
const NOISE = 2;
/** Valleys that are levelled one after another at most. */
const MOST_LEVELLED = 6;
/** Of the openings that take something, fill this many: what is levelled for nothing is waste. */
const MOST_OFFERED = 2;
/** A beam is no wider than that its skylines have so many segments in all: about 100 MB, twice. */
const MOST_SEGMENTS = 4_000_000;
/** Lays that are told at the end of a run. */
const MOST_LAYS = 12;

/** Places with the bits that tell for them, and the cloth (nm²) that they waste. */
class BeamChildren extends Children {
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

/** Cloth (nm²) that a lay of `target` nm on the one length leaves, 0 when the parts fill it exactly. */
function wasteAt({ gap, stock }: LayJob, parts: readonly LayPart[], target: Nm): number {
  const area = parts.reduce((sum, { width, height }) => sum + (width + gap) * (height + gap), 0);
  const waste = (stock[0]!.right - stock[0]!.left + gap) * (target + gap) - area;
  return Math.abs(waste) <= 1e-9 * area ? 0 : waste;
}

/**
 * Tells whether parts might fill `target` nm of the one length exactly: their area must, and every line along the cloth crosses
 * parts only, whose sides add up to the length.
 */
export function canFillExactly(job: LayJob, parts: readonly LayPart[], target: Nm): boolean {
  const { gap } = job;
  const sides = parts.flatMap(({ width, height, turns }) =>
    turns.length > 1 ? [width, height] : turns[0] === 90 ? [width] : [height],
  );
  const step = sides.map((side) => side + gap).reduce(greatestCommon);
  return (target + gap) % step === 0 && wasteAt(job, parts, target) === 0;
}

/**
 * A beam search for a lay without waste, or nearly: each state is a skyline; one of its valleys is filled at a corner by a
 * part, and of all the states with equally many parts the most believable are kept. Belief is counted in bits: a part whose
 * phase is right just where a corner is, that fills a valley from wall to wall or ends level with a neighbour is hardly
 * there by chance. Where a matched part fits a corner that hardly any other would, it is taken at once.
 */
export class ZeroWasteBeam {
  private readonly kinds: PartClass[];
  private readonly groups: number;
  private readonly corners: Corners;
  private readonly left: Nm;
  private readonly width: Nm;
  private readonly area: number;
  private readonly phaseBits: number;
  private readonly widthBits: number;
  /** Tells whether hardly any part would be on its phase by chance: what is may be taken without looking at others. */
  readonly canForce: boolean;
  private readonly keys: Int32Array;
  private readonly floors: Floors | null;
  private now: BeamLevel;
  private next: BeamLevel;
  private children: BeamChildren;
  private largeFirst = 1;
  /** How far the run in hand may reach and what it may waste (nm²), the gap with it. */
  private height: Nm = 0;
  private budget = 0;
  /** States that rank lower in this level need not be looked at. */
  private least = -Infinity;

  constructor(
    private readonly job: LayJob,
    private readonly parts: readonly LayPart[],
    private readonly random: Random,
    longest: Nm,
  ) {
    const { gap, lattice, stock } = job;
    const [{ left, right }] = stock as [LayJob['stock'][number]];
    this.left = left;
    this.width = right - left + gap;
    const gathered = gatherClasses(job, parts);
    this.kinds = gathered.kinds;
    this.groups = gathered.groups;
    this.area = this.kinds.reduce((sum, { ways, members }) => sum + members.length * ways[0]!.w * ways[0]!.h, 0);
    this.corners = new Corners(job, this.kinds, this.width, longest + gap);
    const grid = Math.max(this.corners.step, this.width / 2000);
    const chance =
      (lattice && lattice.across > 0 ? Math.min(1, grid / lattice.across) : 1) *
      (lattice && lattice.along > 0 ? Math.min(1, grid / lattice.along) : 1);
    this.phaseBits = -Math.log2(chance);
    this.widthBits = Math.log2(this.width / grid);
    this.canForce = chance * parts.length < SELDOM;
    this.keys = Int32Array.from({ length: this.kinds.length }, () => Math.floor(random.next() * 2 ** 31) | 1);
    this.floors = job.straight ? new Floors() : null;
    this.now = this.next = this.levelOf(0);
    this.children = new BeamChildren(0);
  }

  /** The most segments that a skyline has. */
  private get segments(): number {
    // Each part makes two more at most. None is narrower than the narrowest part, but where floors keep slits apart.
    const all = 2 * this.parts.length + 1;
    return this.floors ? all : Math.min(Math.floor(this.width / this.corners.narrowest), all) + 3;
  }

  private levelOf(width: number): BeamLevel {
    return new BeamLevel(width, this.segments, this.kinds.length, MOST_OFFERED * width, this.floors);
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
    const hair = 1e-9 * this.area;
    this.height = target + this.job.gap;
    const free = this.width * this.height - this.area;
    if (free < -hair) return [];
    this.budget = Math.max(0, free) + hair;
    this.largeFirst = largeFirst;
    const filling = { height: this.height, budget: this.budget, isForcing: isForcing && this.canForce };
    this.corners.start(filling, isFlipped ? target : null);
    const widest = Math.ceil(MOST_SEGMENTS / (this.segments * (1 + MOST_OFFERED)));
    const lays = yield* this.fill(Math.min(width, widest));
    if (!isFlipped) return lays;
    for (const { stock, y, turned } of lays) {
      this.parts.forEach(({ width: w, height: h }, i) => {
        if (stock[i] === 0) y[i] = target - y[i]! - (turned[i] === 1 ? w : h);
      });
    }
    return lays;
  }

  private *fill(width: number): Generator<number, ChainLay[], void> {
    this.now = this.levelOf(width);
    this.next = this.levelOf(width);
    const most = 12 * width;
    this.children = new BeamChildren(most + MOST_OFFERED * this.corners.w.length);
    this.floors?.reset(0, this.width);
    this.now.start(
      0,
      this.width,
      this.kinds.map(({ members }) => members.length),
    );
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

  /** All that may be put into one valley of a state: the one with the fewest choices. A valley that takes nothing is levelled. */
  private expand(state: Slot) {
    const { now } = this;
    const { skylines } = now;
    let slot = state;
    let isOffered = true;
    let offered = 0;
    for (let tries = 0; tries < MOST_LEVELLED; tries++) {
      const { fewest, forced } = this.corners.fewestChoices(now, slot);
      if (fewest?.count !== 0) {
        isOffered = true;
        this.offer(slot, forced ?? fewest!);
        if (forced || ++offered >= MOST_OFFERED) return;
      }
      // Leaving the valley open is another move, and the only one where nothing fits.
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

  /** The lower of the neighbours that are higher than a valley, Infinity for none. */
  private lowerWall(slot: Slot, s: number): Nm {
    const { y, most, count } = this.now.skylines;
    const i = slot * most + s;
    const before = s > 0 && y[i - 1]! > y[i]! ? y[i - 1]! : Infinity;
    const after = s < count[slot]! - 1 && y[i + 1]! > y[i]! ? y[i + 1]! : Infinity;
    return Math.min(before, after);
  }

  /** Makes children of the choices that rank high enough in this level so far. */
  private offer(slot: Slot, { count, segment: s, isRight, entry, waste }: Choices) {
    const { now, children, random, floors, corners } = this;
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
      const { kind, size } = corners.view.entries[e]!;
      const { fixed, group } = this.kinds[kind]!;
      const rest = width - corners.w[e]!;
      const top = sy + corners.h[e]!;
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
    const { kind, way, shift } = this.corners.view.entries[children.way[child]!]!;
    const py = now.skylines.y[slot * now.skylines.most + s]!;
    next.skylines.lay(to, now.skylines, slot, s, px, way.w, py + way.h, this.corners.narrowest);
    next.takeOne(to, now, state, kind);
    next.waste[to] = children.waste[child]!;
    next.score[to] = now.score[state]! + children.gain[child]!;
    next.hash[to] = now.hash[state]! + this.keys[kind]!;
    next.chains[to] = { parent: now.chains[state]!, kind, way, px, py };
    next.phases[to] = now.phases[state]!;
    const { group } = this.kinds[kind]!;
    const { lattice, motif } = this.corners.view;
    if (group < 0 || !lattice || next.phases[to][group]) return;
    const [x, y] = phaseOf(px + shift[0] - motif[0], py + shift[1] - motif[1], lattice);
    next.phases[to] = next.phases[to].with(group, [x, y]);
    next.hash[to]! += Math.imul(Math.round(x * 7 + y * 13), this.keys[group]!);
  }
}

import type { Box } from '../../model/box';
import type { Nm } from '../../../length';
import { Columns } from '../../geometry/columns';
import { cutFromGaps, leastGap, restOfGaps, type Gap } from '../../strips/from-gaps';
import { freeBoxes } from '../../geometry/free-boxes';
import type { LayJob } from '../../model/job';
import { LaidParts } from './laid-parts';
import type { ChosenWay, LayPart, StripSet } from '../../model/parts';
import { Places, type RankedSpot, type Window } from '../../geometry/places';
import type { Placing } from '../../search/placer';
import type { Random } from '../../search/random';
import type { Found } from '../../search/context';

/** How much worse a step may be, in shares of a mean part. */
const HEAT = 0.06;
/** Most parts that a window takes off at once. */
const MOST_OFF = 14;
/** Weight of the lay's height beside the area that does not fit below the target. */
const DRIFT = 0.02;
/** How often places are ranked by how well a part fits there, not by how low it lies: mostly, but where pieces wait for a repeat along the cloth. */
const BY_TOUCH = 0.9;
const BY_TOUCH_MATCHED = 0.35;
/** At most so many gaps are filled with bias at once; one more block takes the rest of it. */
const MOST_GAPS = 4;
/** How often bias that is cut anew is cut from gaps. */
const FROM_GAPS = 0.5;
/** How much of the cloth below the target must be free for that: what is nearly full has no gaps to cut from. */
const LEAST_FREE = 0.04;
const TIDY_EVERY = 64;
/** How often only the window is looked at for a place: more where outlines make looking slow. */
const NEAR = 0.7;
const NEAR_PLAIN = 0.5;
/** Half the time no more places than about that are looked at in each opening: more steps in the same time. */
const FEW_PLACES = 8;

/**
 * Goal-driven ruin and recreate (the idea after Gardeyn and Wauters 2022, from memory; there for bins): a lay is to end
 * below a target a little shorter than the best one. Parts that do not are laid above it; over and over one of them is
 * given a place, what lies there is taken off, and all of it is laid again, each at its lowest place. The step stays when
 * less area is left above the target, or hardly more. Matched groups and strips are taken off whole now and then, to find
 * another phase or another way of cutting. Works for all that the format says but straight cutting.
 */
export class RuinAndRecreate {
  private readonly lay: LaidParts;
  private readonly places: Places;
  private readonly touchShare: number;
  private hasGaps = false;
  private cost = Infinity;
  private readonly temperature: number;
  private readonly over: number[] = [];
  private readonly keys: Float64Array;
  private turns = 0;
  target: Nm = Infinity;

  constructor(
    private readonly job: LayJob,
    pieces: readonly LayPart[],
    private readonly sets: readonly StripSet[],
    private readonly random: Random,
  ) {
    const waits = (job.lattice?.along ?? 0) > 0 && pieces.some(({ match }) => match);
    this.touchShare = waits ? BY_TOUCH_MATCHED : BY_TOUCH;
    this.lay = new LaidParts(job, pieces, sets, MOST_GAPS + 1);
    this.places = new Places(job, this.lay.spaces, this.lay.step, random);
    this.keys = new Float64Array(this.lay.parts.length);
    this.temperature = this.lay.meanArea;
  }

  /** Starts from a lay that was found: its parts are the pieces first, then the blocks of these ways. */
  load(placing: Pick<Placing, 'stock' | 'x' | 'y' | 'turned'>, ways: readonly ChosenWay[]) {
    this.lay.load(placing, ways);
    this.aim(this.target);
  }

  /** Lays everything anew in an order, what a first lay of outlines is made of; yields after each part. */
  *build(compare: (a: LayPart, b: LayPart) => number): Generator<void, void, void> {
    this.lay.clear();
    for (const i of this.waiting(compare)) {
      this.layAt(i, false);
      yield;
    }
    this.aim(this.target);
  }

  /** Lays what is not laid yet, in an order. */
  layRest(compare: (a: LayPart, b: LayPart) => number) {
    for (const i of this.waiting(compare)) this.layAt(i, false);
    this.aim(this.target);
  }

  private waiting(compare: (a: LayPart, b: LayPart) => number): number[] {
    const { parts, spots } = this.lay;
    const rest = this.lay.activeParts().filter((i) => !spots[i]);
    return rest.sort((a, b) => compare(parts[a]!, parts[b]!) || a - b);
  }

  /** Sets the target (nm on the endless length) and counts what the lay costs against it. */
  aim(target: Nm) {
    this.target = target;
    this.places.target = target;
    this.cost = this.costNow();
    this.hasGaps = this.lay.gapSet >= 0 && (this.lay.endless < 0 || this.freeShare() > LEAST_FREE);
  }

  /** How much of the cloth below the target the parts leave, as a share of it. */
  private freeShare(): number {
    const { stock } = this.job;
    const cloth = stock.reduce(
      (sum, { left, right, length }) => sum + (right - left) * (length === Infinity ? this.target : length),
      0,
    );
    const taken = this.lay.areas.reduce((sum, area, i) => sum + (this.lay.active[i] ? area : 0), 0);
    return 1 - taken / cloth;
  }

  private costNow(): number {
    let cost = 0;
    for (let i = 0; i < this.lay.parts.length; i++) if (this.lay.active[i]) cost += this.costOf(i);
    return cost;
  }

  /** Cost of a part where it lies now. */
  private costOf(i: number): number {
    const area = this.lay.areas[i]!;
    const top = this.lay.tops[i]!;
    if (top === Infinity) return 2 * area;
    if (top === -Infinity) return this.lay.active[i] ? this.lay.spends[i]! : 0;
    const scale = Number.isFinite(this.target) && this.target > 0 ? this.target : 1e9;
    const over = top > this.target ? area * (1 + (top - this.target) / scale) : 0;
    return over + this.lay.spends[i]! + (DRIFT * area * Math.min(top, this.target)) / scale;
  }

  /** The furthest point on the endless length, Infinity when a part is laid nowhere. */
  get used(): Nm {
    return this.lay.used;
  }

  get isDone(): boolean {
    return this.used <= this.target;
  }

  /** The lay as the search keeps it. */
  found(): Omit<Found, 'setChoice'> {
    return this.lay.found();
  }

  /** Lays a part at its best place; false when there is none. */
  private layAt(i: number, blinks: boolean, near: Window | null = null): boolean {
    const spot = this.places.find(this.lay.profiles[i]!, this.lay.cornerPhase(i), blinks, near);
    if (!spot) return false;
    this.lay.put(i, spot);
    return true;
  }

  /** One step: takes some parts off and lays them again; true when it stays. */
  tryStep(): boolean {
    const { random } = this;
    if (++this.turns % TIDY_EVERY === 0) {
      for (const space of this.lay.spaces) if (space instanceof Columns) space.tidy();
      this.cost = this.costNow();
    }
    const over = this.overTarget();
    const lead = over.length > 0 ? over[random.below(over.length)]! : this.anyActive();
    const before = this.lay.groups.phases.slice();
    const off: number[] = [];
    const old: (RankedSpot | null)[] = [];
    let cost = this.cost;
    const remove = (i: number) => {
      if (off.includes(i)) return;
      cost -= this.costOf(i);
      off.push(i);
      old.push(this.lay.spots[i] ?? null);
      if (this.lay.spots[i]) this.lay.takeOff(i);
    };
    remove(lead);
    for (let more = random.below(3); more > 0 && over.length > 1; more--) remove(over[random.below(over.length)]!);
    const dice = random.next();
    let recut: { set: number; way: ChosenWay; isFromGaps: boolean } | null = null;
    if (this.lay.ways.length > 0 && dice < 0.06) recut = this.recut(remove);
    else if (this.lay.members.length > 0 && dice < 0.16) this.removeGroup(remove);
    const window = this.removeWindow(lead, remove);
    // Mostly only the place that has become free is looked at: elsewhere little has changed.
    const near =
      random.next() < (this.lay.step > 0 ? NEAR : this.lay.members.length > 0 ? 0 : NEAR_PLAIN) ? window : null;

    const again = recut
      ? [...off.filter((i) => this.lay.active[i]), ...this.lay.inUse[recut.set]!.filter((i) => !off.includes(i))]
      : off.slice();
    this.arrange(again, lead);
    this.places.mostLooked = random.next() < 0.5 ? FEW_PLACES : Infinity;
    this.places.byTouch = this.lay.step === 0 && random.next() < this.touchShare;
    const limit = this.cost - this.temperature * HEAT * Math.log(Math.max(1e-12, random.next()));
    // Each part only adds to the cost: when it is too much, the rest need not be laid.
    for (const i of again) {
      if (!this.layAt(i, true, near) && near) this.layAt(i, true);
      cost += this.costOf(i);
      if (cost > limit) break;
    }
    if (recut?.isFromGaps && cost <= limit) {
      const blocks = this.cutFromGaps();
      again.push(...blocks);
      cost = blocks.length === 0 ? Infinity : blocks.reduce((sum, i) => sum + this.costOf(i), cost);
    }
    if (cost <= limit) {
      this.cost = cost;
      return true;
    }
    for (const i of again) if (this.lay.spots[i]) this.lay.takeOff(i);
    if (recut) this.lay.use(recut.set, recut.way);
    this.lay.groups.phases = before;
    off.forEach((i, k) => old[k] && this.lay.put(i, old[k]!));
    return false;
  }

  private overTarget(): readonly number[] {
    const { over, target } = this;
    const { tops } = this.lay;
    over.length = 0;
    for (let i = 0; i < tops.length; i++) if (tops[i]! > target) over.push(i);
    return over;
  }

  private anyActive(): number {
    for (;;) {
      const i = this.random.below(this.lay.parts.length);
      if (this.lay.active[i]) return i;
    }
  }

  private recut(remove: (i: number) => void): { set: number; way: ChosenWay; isFromGaps: boolean } {
    const set = this.random.below(this.lay.ways.length);
    const way = this.lay.way[set]!;
    for (const i of this.lay.inUse[set]!) remove(i);
    const isFromGaps = set === this.lay.gapSet && this.hasGaps && this.random.next() < FROM_GAPS;
    this.lay.use(set, isFromGaps ? [] : this.random.below(this.lay.ways[set]!.length));
    return { set, way, isFromGaps };
  }

  /** Cuts bias from what is free below the target, and the rest of it as one block; its parts, none when that can't be. */
  private cutFromGaps(): number[] {
    const { gapSet, margin: m, boxes } = this.lay;
    const { random } = this;
    const { gap, stock } = this.job;
    const set = this.sets[gapSet]!;
    const least = leastGap(set.wants) + 2 * m;
    const gaps = stock.flatMap(({ left, right, length }, k): Gap[] => {
      const taken: Box[] = [...this.lay.blocked[k]!];
      this.lay.spots.forEach((spot, i) => {
        if (spot?.stock === k) taken.push([boxes[4 * i]!, boxes[4 * i + 2]!, boxes[4 * i + 1]!, boxes[4 * i + 3]!]);
      });
      const end = k === this.lay.endless ? this.target : length;
      return freeBoxes(taken, [left - m, -m, right + m, end + m], least, least).map((box) => ({ stock: k, box }));
    });
    const { cuts, rest } = cutFromGaps(set.wants, gaps, m, gap, 1 + random.below(MOST_GAPS), random);
    const last = rest.length > 0 ? restOfGaps(set, rest, gap, random) : null;
    if (rest.length > 0 && !last) return [];
    this.lay.use(gapSet, [...cuts.map(({ block }) => block), ...(last ? [last] : [])]);
    const parts = this.lay.inUse[gapSet]!;
    cuts.forEach(({ stock: k, x, y }, i) => this.lay.put(parts[i]!, { stock: k, x: x - m, y: y - m, turned: 0 }));
    if (last) this.layAt(parts.at(-1)!, false);
    return parts;
  }

  private removeGroup(remove: (i: number) => void) {
    const some = this.lay.members[this.random.below(this.lay.members.length)]!;
    if (some.length <= MOST_OFF) for (const i of some) remove(i);
  }

  /** Takes off what lies in a window of about the size of a part, somewhere below the target. */
  private removeWindow(lead: number, remove: (i: number) => void): Window {
    const { random } = this;
    const { width, height } = this.lay.parts[lead]!;
    const k = this.anyLength();
    const { left, right, length } = this.job.stock[k]!;
    const far = k === this.lay.endless ? this.target : length;
    const grow = 0.6 + random.next() * 0.9;
    const isTurned = random.next() < 0.3;
    const [w, h] = [(isTurned ? height : width) * grow, (isTurned ? width : height) * grow];
    const x0 = left + random.next() * Math.max(0, right - left - w);
    const y0 = random.next() * Math.max(0, far - h);
    let count = 0;
    const { boxes } = this.lay;
    for (let i = 0; i < this.lay.parts.length && count < MOST_OFF; i++) {
      const box = 4 * i;
      if (boxes[box]! >= x0 + w || boxes[box + 1]! <= x0 || boxes[box + 2]! >= y0 + h || boxes[box + 3]! <= y0)
        continue;
      if (this.lay.spots[i]?.stock !== k) continue;
      remove(i);
      count++;
    }
    return { stock: k, x0, x1: x0 + w, y0 };
  }

  /** One of the lengths of cloth, each as often as it has area below the target. */
  private anyLength(): number {
    const { stock } = this.job;
    const areaOf = (k: number) =>
      (k === this.lay.endless ? Math.max(0, this.target) : stock[k]!.length) * (stock[k]!.right - stock[k]!.left);
    let sum = 0;
    for (let k = 0; k < stock.length; k++) sum += areaOf(k);
    let at = this.random.next() * sum;
    let k = 0;
    for (; k < stock.length - 1 && at >= areaOf(k); k++) at -= areaOf(k);
    return k;
  }

  private arrange(numbers: number[], lead: number) {
    const { random } = this;
    const { parts } = this.lay;
    const by = random.below(4);
    const noise = 0.1 + random.next() * 0.5;
    const { keys } = this;
    for (const i of numbers) {
      const { width, height } = parts[i]!;
      const key =
        by === 0 ? this.lay.areas[i]! : by === 1 ? height * height : by === 2 ? width * width : width * height;
      keys[i] = key * (1 + noise * (random.next() * 2 - 1));
    }
    if (random.next() < 0.5) keys[lead] = Infinity;
    numbers.sort((a, b) => keys[b]! - keys[a]! || a - b);
  }
}

import { phaseOf } from '../cloth';
import type { Nm } from '../length';
import { Bands } from './bands';
import { Columns, profileOf, type Profile } from './columns';
import { endlessOf, type LayJob } from './job';
import { greatestCommon } from './kinds';
import { boxesOutside, turnOutline } from './outline';
import { cutFromGaps, leastGap, restOfGaps, type Gap } from './from-gaps';
import { freeBoxes, type Box } from './gaps';
import { blockPart, type ChosenWay, type Part, type StripSet } from './parts';
import { Places, type Spot, type Window } from './places';
import { measured, phaseAt, type Phase, type Placing } from './placing';
import type { Random } from './random';
import type { Found } from './room';

/** Columns across the cloth where outlines have to be laid. */
const COLUMNS = 220;
/** Most parts that a window takes off at once. */
const MOST_OFF = 14;
/** What the height of the lay counts beside the area that does not fit below the target. */
const DRIFT = 0.02;
/** How often places are ranked by how well a part fits there, not by how low it lies: mostly, but where pieces wait for a repeat along the cloth. */
const BY_TOUCH = 0.9;
const BY_TOUCH_MATCHED = 0.35;
/** At most so many gaps are filled with bias at once; one more block takes the rest of it. */
const MOST_GAPS = 4;
/** How often bias that is cut anew is cut from gaps, and how much of all area it may be for that: much bias is better in one block. */
const FROM_GAPS = 0.5;
const LITTLE_BIAS = 0.08;
/** How much of the cloth below the target must be free for that: what is nearly full has no gaps to cut from. */
const LEAST_FREE = 0.04;
/** What the cloth counts that blocks from gaps take beyond the least block: small ones lose more in corners and joins. */
const SPEND = 0.1;
/** The height of a band: half of the lowest part, but between these mean heights of a part. */
const LOWEST_BAND = 1 / 16;
const HIGHEST_BAND = 0.25;
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
export class Ruin {
  /** The pieces first, then the blocks of all ways of each set of strips, then those from gaps. */
  private readonly parts: Part[];
  private readonly pieceCount: number;
  /** The free cloth of each length: bands of rectangles, or columns where outlines have to be laid. */
  private readonly spaces: (Columns | Bands)[];
  private readonly places: Places;
  private readonly profiles: (Profile | null)[][] = [];
  private readonly spots: (Spot | null)[];
  private readonly active: boolean[];
  /** How far each part reaches on the endless length; Infinity when it is laid nowhere, -Infinity on others or not in use. */
  private readonly tops: Float64Array;
  /** From where to where each part lies across and along, or lay last. */
  private readonly boxes: Float64Array;
  private readonly areas: Float64Array;
  /** What parts cost wherever they lie: the cloth that blocks from gaps take beyond the least block. */
  private readonly spends: Float64Array;
  private readonly margin: Nm;
  private readonly step: Nm;
  private readonly endless: number;
  private readonly touchShare: number;
  /** For each set of strips, the numbers of its parts by way, the way in use, and its parts. */
  private readonly ways: number[][][];
  private readonly way: ChosenWay[];
  private readonly inUse: number[][];
  /** The set of strips on the bias that may be cut from gaps, or -1, and the parts that its blocks get then. */
  private readonly gapSet: number;
  private readonly slots: number[];
  private hasGaps = false;
  /** The area (nm²) of the least block that holds all of that set. */
  private leastBlock = 0;
  private readonly blocked: [Nm, Nm, Nm, Nm][][];
  private readonly groups: Map<string, number>;
  private readonly members: number[][];
  private phases: (Phase | null)[];
  /** How many members of each group are laid. */
  private readonly laid: Int32Array;
  private readonly groupOf: Int32Array;
  private cost = Infinity;
  private temperature: number;
  private readonly over: number[] = [];
  private readonly keys: Float64Array;
  private turns = 0;
  target: Nm = Infinity;

  constructor(
    private readonly job: LayJob,
    pieces: readonly Part[],
    private readonly sets: readonly StripSet[],
    private readonly random: Random,
  ) {
    const { gap, stock } = job;
    this.margin = Math.ceil(gap / 2);
    this.endless = endlessOf(stock);
    const waits = (job.lattice?.along ?? 0) > 0 && pieces.some(({ match }) => match);
    this.touchShare = waits ? BY_TOUCH_MATCHED : BY_TOUCH;
    const blocks = sets.map((set) => set.ways.map((way) => way.map(blockPart)));
    this.pieceCount = pieces.length;
    const known = [...pieces, ...blocks.flat(2)];
    const hasOutlines = pieces.some(({ outlines }) => outlines);
    this.gapSet = hasOutlines ? -1 : gapSetOf(pieces, sets, this.endless < 0);
    const slots = this.gapSet < 0 ? [] : Array.from({ length: MOST_GAPS + 1 }, () => blockPart(sets[this.gapSet]!.ways[0]![0]!)); // prettier-ignore
    this.parts = [...known, ...slots];
    let next = pieces.length;
    this.ways = blocks.map((ways) => ways.map((way) => way.map(() => next++)));
    this.slots = slots.map(() => next++);
    this.way = sets.map(() => 0);
    this.inUse = this.ways.map(([first]) => first ?? []);
    this.blocked = stock.map((_, k) => this.blockedOf(k));
    const usable = Math.max(...stock.map(({ left, right }) => right - left));
    this.step = hasOutlines ? finestStep(usable, pieces) : 0;
    const m = this.margin;
    const heights = known.reduce((sum, { height }) => sum + height, 0);
    const mean = heights / Math.max(1, known.length);
    const least = known.reduce(
      (low, { width, height, turns }) => Math.min(low, height, turns.length > 1 ? width : height),
      Infinity,
    );
    const high = Math.ceil(Math.min(mean * HIGHEST_BAND, Math.max(least / 2, mean * LOWEST_BAND)));
    this.spaces = stock.map(({ left, right, length }, k) =>
      hasOutlines
        ? new Columns(left - m, right + m, -m, length + m, this.step)
        : new Bands(left - m, right + m, -m, length + m, high, this.parts.length, this.blocked[k]!),
    );
    this.places = new Places(job, this.spaces, this.step, random);
    this.areas = Float64Array.from(this.parts, ({ width, height, outlines }) => outlines?.area ?? width * height);
    this.spends = new Float64Array(this.parts.length);
    if (this.gapSet >= 0) this.leastBlock = Math.min(...this.ways[this.gapSet]!.map(([i]) => this.areas[i!]!));
    this.spots = this.parts.map(() => null);
    this.active = this.parts.map((_, i) => i < pieces.length);
    this.tops = new Float64Array(this.parts.length);
    this.boxes = new Float64Array(4 * this.parts.length);
    for (const i of this.inUse.flat()) this.active[i] = true;
    this.gatherProfiles();
    const names = [...new Set(this.parts.flatMap(({ match }) => match?.group ?? []))];
    this.groups = new Map(names.map((name, g) => [name, g]));
    this.members = names.map((name) => this.parts.flatMap(({ match }, i) => (match?.group === name ? [i] : [])));
    this.groupOf = Int32Array.from(this.parts, ({ match }) => (match?.group ? this.groups.get(match.group)! : -1));
    this.laid = new Int32Array(names.length);
    this.keys = new Float64Array(this.parts.length);
    this.phases = names.map(() => null);
    this.temperature = this.areas.subarray(0, known.length).reduce((sum, area) => sum + area, 0) / known.length;
    this.clear();
  }

  private gatherProfiles() {
    const known = new Map<string, Profile>();
    const m = this.margin;
    for (const { width, height, turns, outlines, piece } of this.parts) {
      const byTurn: (Profile | null)[] = [null, null, null, null];
      const tries: readonly number[] = outlines ? outlines.turns : turns;
      for (const turn of tries) {
        const [w, h] = turn % 180 === 0 ? [width, height] : [height, width];
        const key = `${outlines ? piece!.id : ''} ${w} ${h} ${turn}`;
        let profile = known.get(key);
        if (!profile) {
          profile = outlines
            ? profileOf(turnOutline(outlines.ring, turn), w, h, this.step, m)
            : { width: w + 2 * m, height: h + 2 * m, low: null, high: null };
          known.set(key, profile);
        }
        byTurn[turn / 90] = profile;
      }
      this.profiles.push(byTurn);
    }
  }

  private clear() {
    this.spots.fill(null);
    for (let i = 0; i < this.parts.length; i++) this.tops[i] = this.active[i] ? Infinity : -Infinity;
    this.phases.fill(null);
    this.laid.fill(0);
    this.spaces.forEach((space, k) => {
      space.clear();
      if (space instanceof Columns)
        for (const [x0, y0, x1, y1] of this.blocked[k]!)
          space.take(x0, y0, { width: x1 - x0, height: y1 - y0, low: null, high: null });
    });
  }

  /** What of a length nothing may lie on: flaws, and what lies outside an odd shape. */
  private blockedOf(k: number): [Nm, Nm, Nm, Nm][] {
    const { left, right, length, flaws, outline } = this.job.stock[k]!;
    const m = this.margin;
    const outside = outline ? boxesOutside(outline, left, right, length) : [];
    // Only parts keep the gap: a flaw may be touched, so it loses what every part has round it.
    return [...flaws, ...outside].flatMap(([x0, y0, x1, y1]): [Nm, Nm, Nm, Nm][] => {
      const atLeft = Math.max(left - m, x0 <= left ? x0 - m : x0 + m);
      const atRight = Math.min(right + m, x1 >= right ? x1 + m : x1 - m);
      const [low, high] = [
        Math.max(-m, y0 <= 0 ? y0 - m : y0 + m),
        Math.min(length + m, y1 >= length ? y1 + m : y1 - m),
      ];
      return atRight > atLeft && high > low ? [[atLeft, low, atRight, high]] : [];
    });
  }

  /** Starts from a lay that was found: its parts are the pieces first, then the blocks of these ways. */
  load(placing: Pick<Placing, 'stock' | 'x' | 'y' | 'turned'>, ways: readonly ChosenWay[]) {
    this.clear();
    ways.forEach((way, s) => this.use(s, way));
    const numbers = this.activeParts();
    numbers.forEach((i, k) => {
      if (placing.stock[k]! < 0) return;
      const [x, y] = [placing.x[k]! - this.margin, placing.y[k]! - this.margin];
      this.put(i, { stock: placing.stock[k]!, x, y, turned: placing.turned[k]! });
    });
    this.aim(this.target);
  }

  /** Lays everything anew in an order: what a first lay of outlines is made of. */
  build(compare: (a: Part, b: Part) => number) {
    this.clear();
    this.layRest(compare);
  }

  /** Lays what is not laid yet, in an order. */
  layRest(compare: (a: Part, b: Part) => number) {
    const rest = this.activeParts().filter((i) => !this.spots[i]);
    for (const i of rest.sort((a, b) => compare(this.parts[a]!, this.parts[b]!) || a - b)) this.layAt(i, false);
    this.aim(this.target);
  }

  /** Cuts a set of strips another way; none of its blocks is laid. */
  private use(set: number, way: ChosenWay) {
    for (const i of this.inUse[set]!) {
      this.active[i] = false;
      this.tops[i] = -Infinity;
    }
    this.way[set] = way;
    if (typeof way === 'number') this.inUse[set] = this.ways[set]![way] ?? [];
    else {
      this.inUse[set] = this.slots.slice(0, way.length);
      const all = way.reduce((sum, { width, height }) => sum + width * height, 0);
      const spend = SPEND * Math.max(0, 1 - this.leastBlock / all);
      way.forEach((block, k) => this.fillSlot(this.slots[k]!, blockPart(block), spend));
    }
    for (const i of this.inUse[set]) {
      this.active[i] = true;
      this.tops[i] = Infinity;
    }
  }

  private fillSlot(i: number, part: Part, spend: number) {
    const m = this.margin;
    this.parts[i] = part;
    this.areas[i] = part.width * part.height;
    this.spends[i] = spend * this.areas[i]!;
    this.profiles[i] = [{ width: part.width + 2 * m, height: part.height + 2 * m, low: null, high: null }, null, null, null]; // prettier-ignore
  }

  private activeParts(): number[] {
    // Blocks from gaps come where the ways of their set have theirs.
    const blocks = this.inUse.flat();
    return [...Array(this.pieceCount).keys(), ...blocks];
  }

  /** Sets the target (nm on the endless length) and counts what the lay costs against it. */
  aim(target: Nm) {
    this.target = target;
    this.places.target = target;
    this.cost = this.costNow();
    this.hasGaps = this.gapSet >= 0 && (this.endless < 0 || this.freeShare() > LEAST_FREE);
  }

  /** How much of the cloth below the target the parts leave, as a share of it. */
  private freeShare(): number {
    const { stock } = this.job;
    const cloth = stock.reduce(
      (sum, { left, right, length }) => sum + (right - left) * (length === Infinity ? this.target : length),
      0,
    );
    const taken = this.areas.reduce((sum, area, i) => sum + (this.active[i] ? area : 0), 0);
    return 1 - taken / cloth;
  }

  private costNow(): number {
    let cost = 0;
    for (let i = 0; i < this.parts.length; i++) if (this.active[i]) cost += this.costOf(i);
    return cost;
  }

  /** What a part costs where it lies now. */
  private costOf(i: number): number {
    const area = this.areas[i]!;
    const top = this.tops[i]!;
    if (top === Infinity) return 2 * area;
    if (top === -Infinity) return this.active[i] ? this.spends[i]! : 0;
    const scale = Number.isFinite(this.target) && this.target > 0 ? this.target : 1e9;
    const over = top > this.target ? area * (1 + (top - this.target) / scale) : 0;
    return over + this.spends[i]! + (DRIFT * area * Math.min(top, this.target)) / scale;
  }

  /** The furthest point on the endless length, Infinity when a part is laid nowhere. */
  get used(): Nm {
    let used = 0;
    for (let i = 0; i < this.tops.length; i++) if (this.tops[i]! > used) used = this.tops[i]!;
    return used;
  }

  get isDone(): boolean {
    return this.used <= this.target;
  }

  /** The lay as the search tells it. */
  found(): Omit<Found, 'setChoice'> {
    const numbers = this.activeParts();
    const parts = numbers.map((i) => this.parts[i]!);
    const where = {
      stock: Int32Array.from(numbers, (i) => this.spots[i]?.stock ?? -1),
      x: Float64Array.from(numbers, (i) => (this.spots[i]?.x ?? 0) + this.margin),
      y: Float64Array.from(numbers, (i) => (this.spots[i]?.y ?? 0) + this.margin),
      turned: Uint8Array.from(numbers, (i) => this.spots[i]?.turned ?? 0),
    };
    return {
      parts,
      placing: measured(this.job, parts, where),
      ways: [...this.way],
    };
  }

  private put(i: number, spot: Spot) {
    this.spots[i] = spot;
    const space = this.spaces[spot.stock]!;
    const profile = this.profiles[i]![spot.turned]!;
    this.tops[i] = spot.stock === this.endless ? spot.y + profile.height - this.margin : -Infinity;
    const { boxes } = this;
    boxes[4 * i] = spot.x;
    boxes[4 * i + 1] = spot.x + profile.width;
    boxes[4 * i + 2] = spot.y;
    boxes[4 * i + 3] = spot.y + profile.height;
    if (space instanceof Bands) space.take(i, spot.x, spot.y, profile);
    else space.take(spot.x, spot.y, profile);
    const group = this.groupOf[i]!;
    if (group < 0 || !this.job.lattice) return;
    this.laid[group]!++;
    const { motif } = this.job.stock[spot.stock]!;
    const { match } = this.parts[i]!;
    this.phases[group] ??= phaseAt(match!, motif, spot.x + this.margin, spot.y + this.margin, this.job.lattice);
  }

  private takeOff(i: number) {
    const spot = this.spots[i]!;
    const space = this.spaces[spot.stock]!;
    if (space instanceof Bands) space.give(i);
    else space.give(spot.x, spot.y, this.profiles[i]![spot.turned]!);
    this.spots[i] = null;
    this.tops[i] = Infinity;
    const group = this.groupOf[i]!;
    if (group >= 0 && this.job.lattice && --this.laid[group]! === 0) this.phases[group] = null;
  }

  /** Lays a part at its best place; false when there is none. */
  private layAt(i: number, blinks: boolean, near: Window | null = null): boolean {
    const spot = this.places.find(this.profiles[i]!, this.cornerPhase(i), blinks, near);
    if (!spot) return false;
    this.put(i, spot);
    return true;
  }

  private cornerPhase(i: number): Phase | null {
    const { lattice } = this.job;
    const { match } = this.parts[i]!;
    if (!match || !lattice) return null;
    const [shiftX, shiftY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    if (match.group === null) return phaseOf(shiftX, shiftY, lattice);
    const phase = this.phases[this.groups.get(match.group)!];
    return phase ? phaseOf(phase[0] + shiftX, phase[1] + shiftY, lattice) : null;
  }

  /** One step: takes some parts off and lays them again; true when it stays. */
  tryStep(): boolean {
    const { random } = this;
    if (++this.turns % TIDY_EVERY === 0) {
      for (const space of this.spaces) if (space instanceof Columns) space.tidy();
      this.cost = this.costNow();
    }
    const over = this.overTarget();
    const lead = over.length > 0 ? over[random.below(over.length)]! : this.anyActive();
    const before = this.phases.slice();
    const off: number[] = [];
    const old: (Spot | null)[] = [];
    let cost = this.cost;
    const remove = (i: number) => {
      if (off.includes(i)) return;
      cost -= this.costOf(i);
      off.push(i);
      old.push(this.spots[i] ?? null);
      if (this.spots[i]) this.takeOff(i);
    };
    remove(lead);
    for (let more = random.below(3); more > 0 && over.length > 1; more--) remove(over[random.below(over.length)]!);
    const dice = random.next();
    let recut: { set: number; way: ChosenWay; isFromGaps: boolean } | null = null;
    if (this.ways.length > 0 && dice < 0.06) recut = this.recut(remove);
    else if (this.groups.size > 0 && dice < 0.16) this.removeGroup(remove);
    const window = this.removeWindow(lead, remove);
    // Mostly only the place that has become free is looked at: elsewhere little has changed.
    const near = random.next() < (this.step > 0 ? NEAR : this.groups.size > 0 ? 0 : NEAR_PLAIN) ? window : null;

    const again = recut
      ? [...off.filter((i) => this.active[i]), ...this.inUse[recut.set]!.filter((i) => !off.includes(i))]
      : off.slice();
    this.arrange(again, lead);
    this.places.mostLooked = random.next() < 0.5 ? FEW_PLACES : Infinity;
    this.places.byTouch = this.step === 0 && random.next() < this.touchShare;
    const limit = this.cost - this.temperature * this.heat * Math.log(Math.max(1e-12, random.next()));
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
    for (const i of again) if (this.spots[i]) this.takeOff(i);
    if (recut) this.use(recut.set, recut.way);
    this.phases = before;
    off.forEach((i, k) => old[k] && this.put(i, old[k]!));
    return false;
  }

  /** How much worse a step may be, in shares of a mean part. */
  heat = 0.06;

  private overTarget(): readonly number[] {
    const { over, tops, target } = this;
    over.length = 0;
    for (let i = 0; i < tops.length; i++) if (tops[i]! > target) over.push(i);
    return over;
  }

  private anyActive(): number {
    for (;;) {
      const i = this.random.below(this.parts.length);
      if (this.active[i]) return i;
    }
  }

  private recut(remove: (i: number) => void): { set: number; way: ChosenWay; isFromGaps: boolean } {
    const set = this.random.below(this.ways.length);
    const way = this.way[set]!;
    for (const i of this.inUse[set]!) remove(i);
    const isFromGaps = set === this.gapSet && this.hasGaps && this.random.next() < FROM_GAPS;
    this.use(set, isFromGaps ? [] : this.random.below(this.ways[set]!.length));
    return { set, way, isFromGaps };
  }

  /** Cuts bias from what is free below the target, and the rest of it as one block; its parts, none when that can't be. */
  private cutFromGaps(): number[] {
    const { gapSet, margin: m, boxes, random } = this;
    const { gap, stock } = this.job;
    const set = this.sets[gapSet]!;
    const least = leastGap(set.wants) + 2 * m;
    const gaps = stock.flatMap(({ left, right, length }, k): Gap[] => {
      const taken: Box[] = [...this.blocked[k]!];
      this.spots.forEach((spot, i) => {
        if (spot?.stock === k) taken.push([boxes[4 * i]!, boxes[4 * i + 2]!, boxes[4 * i + 1]!, boxes[4 * i + 3]!]);
      });
      const end = k === this.endless ? this.target : length;
      return freeBoxes(taken, [left - m, -m, right + m, end + m], least, least).map((box) => ({ stock: k, box }));
    });
    const { cuts, rest } = cutFromGaps(set.wants, gaps, m, gap, 1 + random.below(MOST_GAPS), random);
    const last = rest.length > 0 ? restOfGaps(set, rest, gap, random) : null;
    if (rest.length > 0 && !last) return [];
    this.use(gapSet, [...cuts.map(({ block }) => block), ...(last ? [last] : [])]);
    const parts = this.inUse[gapSet]!;
    cuts.forEach(({ stock: k, x, y }, i) => this.put(parts[i]!, { stock: k, x: x - m, y: y - m, turned: 0 }));
    if (last) this.layAt(parts.at(-1)!, false);
    return parts;
  }

  private removeGroup(remove: (i: number) => void) {
    const some = this.members[this.random.below(this.members.length)]!;
    if (some.length <= MOST_OFF) for (const i of some) remove(i);
  }

  /** Takes off what lies in a window of about the size of a part, somewhere below the target. */
  private removeWindow(lead: number, remove: (i: number) => void): Window {
    const { random } = this;
    const { width, height } = this.parts[lead]!;
    const k = this.anyLength();
    const { left, right, length } = this.job.stock[k]!;
    const far = k === this.endless ? this.target : length;
    const grow = 0.6 + random.next() * 0.9;
    const isTurned = random.next() < 0.3;
    const [w, h] = [(isTurned ? height : width) * grow, (isTurned ? width : height) * grow];
    const x0 = left + random.next() * Math.max(0, right - left - w);
    const y0 = random.next() * Math.max(0, far - h);
    let count = 0;
    const { boxes } = this;
    for (let i = 0; i < this.parts.length && count < MOST_OFF; i++) {
      const box = 4 * i;
      if (boxes[box]! >= x0 + w || boxes[box + 1]! <= x0 || boxes[box + 2]! >= y0 + h || boxes[box + 3]! <= y0)
        continue;
      if (this.spots[i]?.stock !== k) continue;
      remove(i);
      count++;
    }
    return { stock: k, x0, x1: x0 + w, y0 };
  }

  /** One of the lengths of cloth, each as often as it has area below the target. */
  private anyLength(): number {
    const { stock } = this.job;
    const areaOf = (k: number) => (k === this.endless ? Math.max(0, this.target) : stock[k]!.length) * (stock[k]!.right - stock[k]!.left); // prettier-ignore
    let sum = 0;
    for (let k = 0; k < stock.length; k++) sum += areaOf(k);
    let at = this.random.next() * sum;
    let k = 0;
    for (; k < stock.length - 1 && at >= areaOf(k); k++) at -= areaOf(k);
    return k;
  }

  private arrange(numbers: number[], lead: number) {
    const { random, parts } = this;
    const by = random.below(4);
    const noise = 0.1 + random.next() * 0.5;
    const { keys } = this;
    for (const i of numbers) {
      const { width, height } = parts[i]!;
      const key = by === 0 ? this.areas[i]! : by === 1 ? height * height : by === 2 ? width * width : width * height;
      keys[i] = key * (1 + noise * (random.next() * 2 - 1));
    }
    if (random.next() < 0.5) keys[lead] = Infinity;
    numbers.sort((a, b) => keys[b]! - keys[a]! || a - b);
  }
}

/**
 * Which set of strips may be cut from gaps, -1 for none: all bias together, where it is not much of the area or all cloth is scarce. Of several sets
 * each would have blocks of its own, which lose more than the gaps give.
 */
function gapSetOf(pieces: readonly Part[], sets: readonly StripSet[], isScarce: boolean): number {
  const ofBias = sets.flatMap(({ grain }, s) => (grain === 'bias' ? [s] : []));
  if (ofBias.length !== 1) return -1;
  const bias = sets[ofBias[0]!]!.wants.reduce((sum, { width, length }) => sum + width * length, 0);
  const rest = pieces.reduce((sum, { width, height }) => sum + width * height, 0);
  return isScarce || bias <= LITTLE_BIAS * (rest + bias) ? ofBias[0]! : -1;
}

/** The width of a column for outlines: what all sizes are multiples of, when that is fine enough, or a part of the cloth. */
function finestStep(usable: Nm, parts: readonly Part[]): Nm {
  const sides = parts.flatMap(({ width, height, outlines }) => (outlines ? [] : [width, height]));
  const step = [usable, ...sides].reduce(greatestCommon);
  const wanted = usable / COLUMNS;
  const even = step / Math.max(1, Math.round(step / wanted));
  return step >= wanted / 2 && Number.isInteger(even) ? even : Math.ceil(wanted);
}

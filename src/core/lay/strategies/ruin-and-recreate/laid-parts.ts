import type { Box } from '../../model/box';
import type { Nm } from '../../../length';
import { Bands } from '../../geometry/bands';
import { Columns, profileOf, type Profile } from '../../geometry/columns';
import { endlessOf, type LayJob } from '../../model/job';
import { greatestCommon } from '../../search/part-classes';
import { boxesOutside, turnOutline } from '../../model/outline';
import { blockPart, type ChosenWay, type LayPart, type StripSet } from '../../model/parts';
import type { RankedSpot } from '../../geometry/places';
import { PhaseTracker, type Phase } from '../../search/phase-tracker';
import { measured, type Placing } from '../../search/placer';
import type { Found } from '../../search/context';

/** Columns across the cloth where outlines have to be laid. */
const COLUMNS = 220;
/** How much of all area bias may be that is cut from gaps: much bias is better in one block. */
const LITTLE_BIAS = 0.08;
/** Weight of the cloth that blocks from gaps take beyond the least block: small ones lose more in corners and joins. */
const SPEND = 0.1;
/** The height of a band: half of the lowest part, but between these mean heights of a part. */
const LOWEST_BAND = 1 / 16;
const HIGHEST_BAND = 0.25;

/**
 * The parts of a job as they lie on its lengths, with what is free of each: parts come and go one by one, strips are cut this way or
 * that, and a match group has the phase of those of its parts that lie.
 */
export class LaidParts {
  /** The pieces first, then the blocks of all ways of each set of strips, then those from gaps. */
  readonly parts: LayPart[];
  private readonly pieceCount: number;
  /** The free cloth of each length: bands of rectangles, or columns where outlines have to be laid. */
  readonly spaces: (Columns | Bands)[];
  /** By part and quarter turns; null where it may not lie so. */
  readonly profiles: (Profile | null)[][] = [];
  readonly spots: (RankedSpot | null)[];
  /** Tells whether a part is in use: of strips only those of the way in hand are. */
  readonly active: boolean[];
  /** How far each part reaches on the endless length; Infinity when it is laid nowhere, -Infinity on others or not in use. */
  readonly tops: Float64Array;
  /** From where to where each part lies across and along, or lay last. */
  readonly boxes: Float64Array;
  readonly areas: Float64Array;
  /** Cost of parts wherever they lie: the cloth that blocks from gaps take beyond the least block. */
  readonly spends: Float64Array;
  /** Half the gap, which each part has round it (nm). */
  readonly margin: Nm;
  /** The width of a column where outlines have to be laid, or 0. */
  readonly step: Nm;
  /** The number of the endless length, or -1. */
  readonly endless: number;
  /** For each set of strips, the numbers of its parts by way, the way in use, and its parts. */
  readonly ways: number[][][];
  readonly way: ChosenWay[];
  readonly inUse: number[][];
  /** The set of strips on the bias that may be cut from gaps, or -1, and the parts that its blocks get then. */
  readonly gapSet: number;
  private readonly slots: number[];
  /** The area (nm²) of the least block that holds all of that set. */
  private leastBlock = 0;
  /** Closed boxes, by length. */
  readonly blocked: Box[][];
  /** The parts of each match group, and the phase that it has. */
  readonly members: number[][];
  readonly groups: PhaseTracker;
  /** The mean area of a part (nm²). */
  readonly meanArea: number;
  /** How many members of each group are laid. */
  private readonly laid: Int32Array;

  /** `mostGaps`: into so many blocks bias may be cut that comes from gaps. */
  constructor(
    private readonly job: LayJob,
    pieces: readonly LayPart[],
    sets: readonly StripSet[],
    mostGaps: number,
  ) {
    const { gap, stock } = job;
    this.margin = Math.ceil(gap / 2);
    this.endless = endlessOf(stock);
    const blocks = sets.map((set) => set.ways.map((way) => way.map(blockPart)));
    this.pieceCount = pieces.length;
    const known = [...pieces, ...blocks.flat(2)];
    const hasOutlines = pieces.some(({ outlines }) => outlines);
    this.gapSet = hasOutlines ? -1 : gapSetOf(pieces, sets, this.endless < 0);
    const slots =
      this.gapSet < 0 ? [] : Array.from({ length: mostGaps }, () => blockPart(sets[this.gapSet]!.ways[0]![0]!));
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
    const high = bandHeight(known);
    this.spaces = stock.map(({ left, right, length }, k) =>
      hasOutlines
        ? new Columns(left - m, right + m, -m, length + m, this.step)
        : new Bands(left - m, right + m, -m, length + m, high, this.parts.length, this.blocked[k]!),
    );
    this.areas = Float64Array.from(this.parts, ({ width, height, outlines }) => outlines?.area ?? width * height);
    this.meanArea = this.areas.subarray(0, known.length).reduce((sum, area) => sum + area, 0) / known.length;
    this.spends = new Float64Array(this.parts.length);
    if (this.gapSet >= 0) this.leastBlock = Math.min(...this.ways[this.gapSet]!.map(([i]) => this.areas[i!]!));
    this.spots = this.parts.map(() => null);
    this.active = this.parts.map((_, i) => i < pieces.length);
    this.tops = new Float64Array(this.parts.length);
    this.boxes = new Float64Array(4 * this.parts.length);
    for (const i of this.inUse.flat()) this.active[i] = true;
    this.gatherProfiles();
    this.groups = new PhaseTracker(job.lattice, this.parts);
    this.members = this.groups.members();
    this.laid = new Int32Array(this.members.length);
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

  /** Takes all off. */
  clear() {
    this.spots.fill(null);
    for (let i = 0; i < this.parts.length; i++) this.tops[i] = this.active[i] ? Infinity : -Infinity;
    this.groups.reset();
    this.laid.fill(0);
    this.spaces.forEach((space, k) => {
      space.clear();
      if (space instanceof Columns)
        for (const [x0, y0, x1, y1] of this.blocked[k]!)
          space.take(x0, y0, { width: x1 - x0, height: y1 - y0, low: null, high: null });
    });
  }

  /** Closed boxes of a length: flaws, and what lies outside an odd shape. */
  private blockedOf(k: number): Box[] {
    const { left, right, length, flaws, outline } = this.job.stock[k]!;
    const m = this.margin;
    const outside = outline ? boxesOutside(outline, left, right, length) : [];
    // Only parts keep the gap: a flaw may be touched, so it loses what every part has round it.
    return [...flaws, ...outside].flatMap(([x0, y0, x1, y1]): Box[] => {
      const atLeft = Math.max(left - m, x0 <= left ? x0 - m : x0 + m);
      const atRight = Math.min(right + m, x1 >= right ? x1 + m : x1 - m);
      const [low, high] = [
        Math.max(-m, y0 <= 0 ? y0 - m : y0 + m),
        Math.min(length + m, y1 >= length ? y1 + m : y1 - m),
      ];
      return atRight > atLeft && high > low ? [[atLeft, low, atRight, high]] : [];
    });
  }

  /** Takes over a lay that was found: its parts are the pieces first, then the blocks of these ways. */
  load(placing: Pick<Placing, 'stock' | 'x' | 'y' | 'turned'>, ways: readonly ChosenWay[]) {
    this.clear();
    ways.forEach((way, s) => this.use(s, way));
    const numbers = this.activeParts();
    numbers.forEach((i, k) => {
      if (placing.stock[k]! < 0) return;
      const [x, y] = [placing.x[k]! - this.margin, placing.y[k]! - this.margin];
      this.put(i, { stock: placing.stock[k]!, x, y, turned: placing.turned[k]! });
    });
  }

  /** Cuts a set of strips another way; none of its blocks is laid. */
  use(set: number, way: ChosenWay) {
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

  private fillSlot(i: number, part: LayPart, spend: number) {
    const m = this.margin;
    this.parts[i] = part;
    this.areas[i] = part.width * part.height;
    this.spends[i] = spend * this.areas[i]!;
    this.profiles[i] = [
      { width: part.width + 2 * m, height: part.height + 2 * m, low: null, high: null },
      null,
      null,
      null,
    ];
  }

  /** The parts in use: the pieces, then the blocks in the order of their sets. */
  activeParts(): number[] {
    // Blocks from gaps come where the ways of their set have theirs.
    const blocks = this.inUse.flat();
    return [...Array(this.pieceCount).keys(), ...blocks];
  }

  /** The furthest point on the endless length, Infinity when a part is laid nowhere. */
  get used(): Nm {
    let used = 0;
    for (let i = 0; i < this.tops.length; i++) if (this.tops[i]! > used) used = this.tops[i]!;
    return used;
  }

  /** The lay as the search keeps it. */
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

  /** Lays a part; the first of a match group sets its phase. */
  put(i: number, spot: RankedSpot) {
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
    const group = this.groups.groupNumber(i);
    if (group < 0) return;
    this.laid[group]!++;
    this.groups.learn(i, this.job.stock[spot.stock]!.motif, spot.x + this.margin, spot.y + this.margin);
  }

  takeOff(i: number) {
    const spot = this.spots[i]!;
    const space = this.spaces[spot.stock]!;
    if (space instanceof Bands) space.give(i);
    else space.give(spot.x, spot.y, this.profiles[i]![spot.turned]!);
    this.spots[i] = null;
    this.tops[i] = Infinity;
    const group = this.groups.groupNumber(i);
    if (group >= 0 && --this.laid[group]! === 0) this.groups.phases[group] = null;
  }

  /** The phase that a part's corner must have; null when it lies where it likes. */
  cornerPhase(i: number): Phase | null {
    return this.groups.cornerPhase(i);
  }
}

/**
 * Which set of strips may be cut from gaps, -1 for none: all bias together, where it is not much of the area or all cloth is scarce. Of several sets
 * each would have blocks of its own, which lose more than the gaps give.
 */
function gapSetOf(pieces: readonly LayPart[], sets: readonly StripSet[], isScarce: boolean): number {
  const ofBias = sets.flatMap(({ grain }, s) => (grain === 'bias' ? [s] : []));
  if (ofBias.length !== 1) return -1;
  const bias = sets[ofBias[0]!]!.wants.reduce((sum, { width, length }) => sum + width * length, 0);
  const rest = pieces.reduce((sum, { width, height }) => sum + width * height, 0);
  return isScarce || bias <= LITTLE_BIAS * (rest + bias) ? ofBias[0]! : -1;
}

function bandHeight(parts: readonly LayPart[]): Nm {
  const heights = parts.reduce((sum, { height }) => sum + height, 0);
  const mean = heights / Math.max(1, parts.length);
  const least = parts.reduce(
    (low, { width, height, turns }) => Math.min(low, height, turns.length > 1 ? width : height),
    Infinity,
  );
  return Math.ceil(Math.min(mean * HIGHEST_BAND, Math.max(least / 2, mean * LOWEST_BAND)));
}

/** The width of a column for outlines: what all sizes are multiples of, when that is fine enough, or a part of the cloth. */
function finestStep(usable: Nm, parts: readonly LayPart[]): Nm {
  const sides = parts.flatMap(({ width, height, outlines }) => (outlines ? [] : [width, height]));
  const step = [usable, ...sides].reduce(greatestCommon);
  const wanted = usable / COLUMNS;
  const even = step / Math.max(1, Math.round(step / wanted));
  return step >= wanted / 2 && Number.isInteger(even) ? even : Math.ceil(wanted);
}

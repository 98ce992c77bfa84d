import { phaseOf, type Lattice } from '../cloth';
import type { Nm } from '../length';
import { merge } from './best-fit';
import type { LayJob } from './job';
import {
  gatherKinds,
  greatestCommon,
  layOf,
  subsetSums,
  type Chain,
  type ChainLay,
  type Kind,
  type Phase,
  type Way,
} from './kinds';
import type { Part } from './parts';
import type { Random } from './random';

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

/**
 * For straight cutting, the ground that parts stand on beside each other: the top of something that one cut can free. What
 * stands on it joins only there, and when it is level all across, it is as if the floor had risen.
 */
interface Floor {
  x: Nm;
  w: Nm;
  level: Nm;
  under: Floor | null;
}

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
}

interface State extends Chain {
  x: number[];
  w: number[];
  y: number[];
  /** The floor of each stretch of the skyline; none where cutting is free. */
  floors: Floor[];
  counts: Uint16Array;
  phases: (Phase | null)[];
  waste: number;
  score: number;
  hash: number;
  /** The value by which the beam keeps it. */
  rank: number;
}

interface Child {
  parent: State;
  segment: number;
  entry: Entry;
  px: Nm;
  gain: number;
  waste: number;
  rank: number;
}

/** What fits a corner, as flat lists: most of it is looked at only to be counted. */
interface Choices {
  count: number;
  entry: Entry[];
  px: Nm[];
  gain: number[];
  waste: number[];
  rank: number[];
}

const noChoices = (): Choices => ({ count: 0, entry: [], px: [], gain: [], waste: [], rank: [] });

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
  private readonly meanArea: number;
  private readonly phaseBits: number;
  private readonly widthBits: number;
  private readonly canForce: boolean;
  private isForcing = false;
  private largeFirst = 1;
  private readonly keys: Int32Array;
  private readonly one = noChoices();
  private readonly other = noChoices();
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
    this.meanArea = this.area / parts.length;
    const entries = this.kinds
      .flatMap(({ ways, shift }, kind) =>
        ways.map((way) => ({ kind, way, size: (way.w * way.h) / this.meanArea, shift })),
      )
      .sort((a, b) => a.way.w - b.way.w);
    this.near = this.view = { lattice, motif: [motif[0] - left, motif[1]], entries };
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
    const lays = yield* this.fill(target, width, isForcing, largeFirst);
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
    return {
      lattice: lattice && { ...lattice, shift: -lattice.shift },
      motif: [motif[0], target - motif[1]],
      entries: entries.map((one) => ({ ...one, shift: [one.shift[0], one.way.h - gap - one.shift[1]] })),
    };
  }

  private *fill(
    target: Nm,
    width: number,
    isForcing: boolean,
    largeFirst: number,
  ): Generator<number, ChainLay[], void> {
    this.isForcing = isForcing && this.canForce;
    this.largeFirst = largeFirst;
    const height = target + this.job.gap;
    const hair = 1e-9 * this.area;
    const budget = this.width * height - this.area;
    if (budget < -hair) return [];
    let states: State[] = [
      {
        x: [0],
        w: [this.width],
        y: [0],
        floors: this.job.straight ? [{ x: 0, w: this.width, level: 0, under: null }] : [],
        counts: Uint16Array.from(this.kinds, ({ members }) => members.length),
        phases: Array.from({ length: this.groups }, () => null),
        waste: 0,
        score: 0,
        hash: 0,
        parent: null,
        kind: -1,
        way: null,
        px: 0,
        py: 0,
        rank: 0,
      },
    ];
    for (let level = 0; level < this.parts.length; level++) {
      let children: Child[] = [];
      this.least = -Infinity;
      for (const state of states) {
        this.expand(state, height, Math.max(0, budget) + hair, children);
        if (children.length < 12 * width) continue;
        children = best(children, 3 * width);
        this.least = children.reduce((least, { rank }) => Math.min(least, rank), Infinity);
      }
      if (children.length === 0) break;
      const kept = children.length > width * 3 ? best(children, width * 3) : children;
      kept.sort((a, b) => b.rank - a.rank);
      const seen = new Set<string>();
      states = [];
      for (const child of kept) {
        const next = this.grow(child);
        const key = `${next.hash} ${next.y.join()} ${next.floors.map(({ level }) => level).join()}`;
        if (seen.has(key)) continue;
        seen.add(key);
        states.push(next);
        if (states.length >= width) break;
      }
      yield states.length;
    }
    return states.slice(0, MOST_LAYS).map((state) => layOf(state, this.kinds, this.parts.length, 0, this.left));
  }

  private canFill(sums: Uint8Array | null, length: Nm): boolean {
    if (length === 0 || !sums) return true;
    const at = length / this.step;
    return at < sums.length && sums[at] === 1;
  }

  /** All that may be put into one valley of a state: the one with the fewest choices. A valley that takes nothing is levelled. */
  private expand(from: State, height: Nm, budget: number, children: Child[]) {
    let state = from;
    let offered = 0;
    for (let tries = 0; tries < MOST_LEVELLED; tries++) {
      let forced: Child[] | null = null;
      let fewest: Choices | null = null;
      let at = -1;
      const { y } = state;
      for (const s of this.valleysOf(state)) {
        for (const isRight of [false, true]) {
          const found: Choices = fewest === this.one ? this.other : this.one;
          // A corner with more choices than another one need not be looked at to the end.
          const most = this.isForcing || !fewest ? Infinity : fewest.count;
          const exact = this.fits(state, s, isRight, height, budget, found, most);
          if (this.isForcing && exact > 0) {
            const only = this.childrenOf(found, state, s).filter(({ entry }) => this.isBound(state, entry.kind));
            if (!forced || only.length < forced.length) forced = only;
          } else if (!fewest || found.count < fewest.count) {
            fewest = found;
            at = s;
          }
        }
        if (forced?.length === 1 || fewest?.count === 0) break;
      }
      if (fewest?.count !== 0) children.push(...(forced ?? (fewest ? this.childrenOf(fewest, state, at) : [])));
      if (forced && fewest?.count !== 0) return;
      if (fewest && fewest.count > 0 && ++offered >= MOST_OFFERED) return;
      // What may also be done, and must where nothing fits, is to leave the valley open.
      const rises = [y[at - 1] ?? Infinity, y[at + 1] ?? Infinity].map((wall) => wall - y[at]!);
      const rise = Math.min(...rises.filter((one) => one > 0));
      const lost = state.w[at]! * rise;
      if (rise === Infinity || state.waste + lost > budget || y[at]! + rise > height) return;
      state = this.levelled(state, at, rise, lost);
    }
  }

  /** The stretches of the skyline that have no lower neighbour, narrow ones first: they have few choices, by which others are given up early. */
  private valleysOf({ w, y }: State): number[] {
    const valleys: number[] = [];
    for (let s = 0; s < y.length; s++) {
      // Level stretches that are not one for straight cutting are walls to each other.
      if ((s > 0 && y[s - 1]! < y[s]!) || (s < y.length - 1 && y[s + 1]! < y[s]!)) continue;
      let k = valleys.length;
      for (; k > 0 && w[valleys[k - 1]!]! > w[s]!; k--) valleys[k] = valleys[k - 1]!;
      valleys[k] = s;
    }
    return valleys;
  }

  /** The choices that rank high enough in this level so far. */
  private childrenOf({ count, entry, px, gain, waste, rank }: Choices, parent: State, segment: number): Child[] {
    const children: Child[] = [];
    for (let k = 0; k < count; k++) {
      if (rank[k]! < this.least) continue;
      const of = { entry: entry[k]!, px: px[k]!, gain: gain[k]!, waste: waste[k]!, rank: rank[k]! };
      children.push({ parent, segment, ...of });
    }
    return children;
  }

  private isBound(state: State, kind: number): boolean {
    const { fixed, group } = this.kinds[kind]!;
    return fixed !== null || (group >= 0 && state.phases[group] !== null);
  }

  private fits(
    state: State,
    s: number,
    isRight: boolean,
    height: Nm,
    budget: number,
    found: Choices,
    most: number,
  ): number {
    let exact = 0;
    found.count = 0;
    const { x, w, y, counts } = state;
    const [sx, width, sy] = [x[s]!, w[s]!, y[s]!];
    const leftWall = s > 0 ? y[s - 1]! : Infinity;
    const rightWall = s < y.length - 1 ? y[s + 1]! : Infinity;
    const { floors } = state;
    const hasFloors = floors.length > 0;
    const isOnFloor = !hasFloors || sy === floors[s]!.level;
    // To be level with a neighbour is nothing where they don't stand on one floor.
    const [isLeft, isBeside] = [
      !hasFloors || (s > 0 && floors[s - 1] === floors[s]),
      !hasFloors || (s < y.length - 1 && floors[s + 1] === floors[s]),
    ];
    const isTight = budget < this.step * this.step;
    const perWaste = budget > 0 ? (2 * Math.sqrt(this.parts.length)) / (budget + 1) : 0;
    const { entries, lattice } = this.view;
    for (let e = 0; e < entries.length; e++) {
      const entry = entries[e]!;
      const { kind, way, size } = entry;
      const rest = width - way.w;
      if (rest < 0) break;
      const top = sy + way.h;
      if (counts[kind] === 0 || top > height) continue;
      const one = this.kinds[kind]!;
      let waste = 0;
      if (isTight && !this.canFill(this.sumsAlong, height - top)) continue;
      if (rest > 0) {
        if (rest < this.narrowest) waste += rest * (Math.min(top, isRight ? leftWall : rightWall) - sy);
        else if (isTight && !this.canFill(this.sumsAcross, rest)) continue;
      }
      const px = isRight ? sx + rest : sx;
      let bits = 0;
      const own = one.fixed ?? (one.group >= 0 ? state.phases[one.group]! : null);
      if (own && lattice) {
        if (!this.isExact(px, sy, entry.shift, one.fixed ? null : own)) continue;
        bits += this.phaseBits;
        exact++;
      }
      if (state.waste + waste > budget) continue;
      if (rest === 0) bits += this.widthBits * 0.6;
      const isOn = isOnFloor || rest === 0;
      if (top === leftWall && isOn && isLeft && (!isRight || rest === 0)) bits += this.widthBits * 0.4;
      if (top === rightWall && isOn && isBeside && (isRight || rest === 0)) bits += this.widthBits * 0.4;
      if (top === height) bits += this.widthBits * 0.2;
      const gain = bits + this.largeFirst * size;
      const rank = state.score + gain - (state.waste + waste) * perWaste + this.random.next() * NOISE;
      const k = found.count++;
      found.entry[k] = entry;
      found.px[k] = px;
      found.gain[k] = gain;
      found.waste[k] = waste;
      found.rank[k] = rank;
      if (found.count >= most) return exact;
    }
    return exact;
  }

  /** True when a part's phase is right with its corner there: its group's, or where that is null, the motif point's. */
  private isExact(x: Nm, y: Nm, shift: Phase, own: Phase | null): boolean {
    const { motif } = this.view;
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

  private levelled(state: State, s: number, rise: Nm, lost: number): State {
    const next: State = {
      ...state,
      x: state.x.slice(),
      w: state.w.slice(),
      y: state.y.slice(),
      floors: state.floors.slice(),
      waste: state.waste + lost,
    };
    next.y[s]! += rise;
    if (this.job.straight) join(next);
    else merge(next.x, next.w, next.y, s);
    return next;
  }

  private grow({ parent, segment: s, entry: { kind, way: w, shift }, px, gain, waste, rank }: Child): State {
    const next: State = {
      x: parent.x.slice(),
      w: parent.w.slice(),
      y: parent.y.slice(),
      floors: parent.floors.slice(),
      counts: parent.counts.slice(),
      phases: parent.phases,
      waste: parent.waste + waste,
      score: parent.score + gain,
      hash: (parent.hash + this.keys[kind]!) | 0,
      parent,
      kind,
      way: w,
      px,
      py: parent.y[s]!,
      rank,
    };
    next.counts[kind]!--;
    const { group } = this.kinds[kind]!;
    const { lattice, motif } = this.view;
    if (group >= 0 && parent.phases[group] === null && lattice) {
      const [x, y] = phaseOf(px + shift[0] - motif[0], next.py + shift[1] - motif[1], lattice);
      next.phases = parent.phases.with(group, [x, y]);
      next.hash = (next.hash + Math.imul(Math.round(x * 7 + y * 13), this.keys[group]!)) | 0;
    }
    const [sx, width, sy] = [next.x[s]!, next.w[s]!, next.y[s]!];
    const bits: [Nm, Nm, Nm][] = [];
    if (px > sx) bits.push([sx, px - sx, sy]);
    bits.push([px, w.w, sy + w.h]);
    if (px + w.w < sx + width) bits.push([px + w.w, sx + width - px - w.w, sy]);
    next.x.splice(s, 1, ...bits.map((bit) => bit[0]));
    next.w.splice(s, 1, ...bits.map((bit) => bit[1]));
    next.y.splice(s, 1, ...bits.map((bit) => bit[2]));
    const floor = next.floors[s];
    if (floor) {
      const on = bits.length === 1 || sy === floor.level ? floor : { x: sx, w: width, level: sy, under: floor };
      next.floors.splice(s, 1, ...bits.map(() => on));
    }
    // A sliver that nothing fits is filled up to its lower wall; it was counted as waste.
    for (let i = 0; i < next.w.length; i++) {
      if (next.w[i]! >= this.narrowest) continue;
      const walls = Math.min(i > 0 ? next.y[i - 1]! : Infinity, i < next.y.length - 1 ? next.y[i + 1]! : Infinity);
      if (walls > next.y[i]! && walls < Infinity) next.y[i] = walls;
    }
    if (floor) join(next);
    else for (let i = next.y.length - 1; i > 0; i--) merge(next.x, next.w, next.y, i);
    return next;
  }
}

/** Joins level stretches that stand on one floor; what is level all over its floor stands on the floor under it. */
function join({ x, w, y, floors }: State) {
  for (let i = 0; i < y.length;) {
    const { x: fx, w: fw, level, under } = floors[i]!;
    if (under && y[i]! > level && x[i] === fx && w[i] === fw) {
      floors[i] = under;
      i = Math.max(0, i - 1);
    } else if (i < y.length - 1 && y[i] === y[i + 1] && floors[i] === floors[i + 1]) {
      w[i]! += w[i + 1]!;
      for (const list of [x, w, y, floors]) list.splice(i + 1, 1);
      i = Math.max(0, i - 1);
    } else i++;
  }
}

/** About the best `n`: those above a rank that was found by sampling. */
function best(children: Child[], n: number): Child[] {
  const ranks = Float64Array.from(children, ({ rank }) => rank).sort();
  const least = ranks[ranks.length - n]!;
  return children.filter(({ rank }) => rank >= least);
}

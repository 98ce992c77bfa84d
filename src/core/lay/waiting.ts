import { nextAcross, nextAlong, phaseOf, type Lattice } from '../cloth';
import type { Nm } from '../length';
import { merge } from './best-fit';
import type { LayJob } from './job';
import { gatherKinds, layOf, type Chain, type ChainLay, type Kind, type Phase, type Way } from './kinds';
import { boxesOutside } from './outline';
import type { Part } from './parts';
import type { Random } from './random';

/** What random noise counts in a rank, in mean parts. */
const NOISE = 0.02;
/** So many places are looked at before it lets others go on: some milliseconds. */
const AT_ONCE = 5_000;
/** When so many times the states that are kept wait to be ranked, the best so many times stay. */
const FULL = 12;
const KEPT = 3;
/** A part is moved along past so many flaws at most. */
const MOST_FLAWS = 4;

/** A skyline on the endless length, with what has been laid so far. */
interface State extends Chain {
  x: number[];
  w: number[];
  y: number[];
  counts: Uint16Array;
  /** By kind, the phase that its corner must have; null: it lies where it likes. */
  corners: readonly (Phase | null)[];
  /** nm² of the parts laid, those that wait counted for more, and of the cloth that is passed without parts. */
  worth: number;
  waste: number;
  hash: number;
}

interface Child {
  parent: State;
  segment: number;
  kind: number;
  way: Way;
  px: Nm;
  py: Nm;
  rank: number;
}

/** How a beam ranks its states. */
export interface Ranking {
  /** How many states are kept with equally many parts. */
  width: number;
  /** How much waste the area of parts makes up for, in shares of what the target allows them. */
  pays: number;
  /** How much more the area of matched parts makes up for. */
  matched: number;
  /** What cloth counts, beside waste, that is still open below the highest part. */
  rough: number;
  /** What the area of some pieces (by id) counts beside that; 1 for others. */
  squeaks: ReadonlyMap<string, number>;
}

/** A beam's lay, and how far it reaches (nm). */
export interface WaitingLay extends ChainLay {
  reached: Nm;
}

/**
 * A beam search for lays where pieces wait for their phase. Each state is a skyline on the endless length. Its lowest valley is
 * filled by a part, at the first or the last place across where the pattern is right for it, as low as the pattern allows; what
 * that leaves below it and, too narrow for any part, beside it is waste. A valley that takes nothing is left open up to its lower wall. Of
 * all states with equally many parts those are kept that have wasted least for what they laid; matched parts count for more, since
 * those that are left to the end are hard to lay. A match group's phase is the one that its first member gets, so many phases are tried side by side.
 */
export class WaitingBeam {
  private readonly kinds: Kind[];
  private readonly lattice: Lattice | null;
  private readonly left: Nm;
  /** The usable width with the gap. */
  private readonly width: Nm;
  private readonly motif: Phase;
  /** What nothing may lie on: flaws, and what is outside an odd shape. */
  private readonly blocked: readonly (readonly [Nm, Nm, Nm, Nm])[];
  private readonly area: number;
  private readonly narrowest: Nm;
  private readonly keys: Int32Array;
  private readonly corners: readonly (Phase | null)[];
  private readonly worths: Float64Array;
  private children: Child[] = [];
  /** What ranks lower in this level need not be kept. */
  private least = -Infinity;
  private height: Nm = 0;
  private budget = 0;
  private pays = 0;
  private rough = 0;
  /** The last part may lie anywhere: what counts is how far the lay reaches. */
  private isLast = false;

  /** The parts are those that lie on length number `on`; `phases` are those that their groups have from parts elsewhere. */
  constructor(
    private readonly job: LayJob,
    private readonly parts: readonly Part[],
    private readonly on: number,
    phases: ReadonlyMap<string, Phase>,
    private readonly random: Random,
  ) {
    const { gap, lattice, stock } = job;
    const { left, right, length, motif, flaws, outline } = stock[on]!;
    this.lattice = lattice;
    this.left = left;
    this.width = right - left + gap;
    this.motif = motif;
    this.blocked = [...flaws, ...(outline ? boxesOutside(outline, left, right, length) : [])];
    this.kinds = gatherKinds(job, parts).kinds;
    this.area = this.kinds.reduce((sum, { ways, members }) => sum + members.length * areaOf(ways[0]!), 0);
    this.narrowest = Math.min(...this.kinds.flatMap(({ ways }) => ways.map(({ w }) => w)));
    this.keys = Int32Array.from({ length: this.kinds.length }, () => Math.floor(random.next() * 2 ** 31) | 1);
    this.corners = this.kinds.map(({ fixed, shift, members }) => {
      const phase = phases.get(parts[members[0]!]!.match?.group ?? '');
      return fixed ?? (phase && lattice ? phaseOf(phase[0] - shift[0], phase[1] - shift[1], lattice) : null);
    });
    this.worths = new Float64Array(this.kinds.length);
  }

  /**
   * Looks for lays of at most `target` nm. Yields now and then how many places it has looked at; returns the shortest lay of
   * those with the most parts, null when their area alone is too much.
   */
  *run(target: Nm, { width, pays, matched, rough, squeaks }: Ranking): Generator<number, WaitingLay | null, void> {
    this.height = target + this.job.gap;
    this.budget = this.width * this.height - this.area;
    if (this.budget < 0) return null;
    this.pays = (pays * this.budget) / this.area;
    this.rough = rough;
    this.kinds.forEach(({ fixed, group, ways, members }, k) => {
      const squeak = squeaks.get(this.parts[members[0]!]!.piece?.id ?? '') ?? 1;
      this.worths[k] = areaOf(ways[0]!) * squeak * (fixed || group >= 0 ? 1 + matched : 1);
    });
    let states = [this.start()];
    for (let level = 0; level < this.parts.length; level++) {
      this.children = [];
      this.least = -Infinity;
      this.isLast = level === this.parts.length - 1;
      let looked = 0;
      for (const state of states) {
        looked += this.expand(state);
        if (looked > AT_ONCE) {
          yield looked;
          looked = 0;
        }
        if (this.children.length > FULL * width) this.keepBest(KEPT * width);
      }
      if (this.children.length === 0) break;
      states = this.bestStates(width);
      yield looked;
    }
    const [last] = states.sort((one, other) => reachOf(one) - reachOf(other)) as [State];
    return { ...layOf(last, this.kinds, this.parts.length, this.on, 0), reached: reachOf(last) - this.job.gap };
  }

  private start(): State {
    return {
      x: [this.left],
      w: [this.width],
      y: [0],
      counts: Uint16Array.from(this.kinds, ({ members }) => members.length),
      corners: this.corners,
      worth: 0,
      waste: 0,
      hash: 0,
      parent: null,
      kind: -1,
      way: null,
      px: 0,
      py: 0,
    };
  }

  private keepBest(most: number) {
    const ranks = Float64Array.from(this.children, ({ rank }) => rank).sort();
    this.least = ranks[ranks.length - most]!;
    this.children = this.children.filter(({ rank }) => rank >= this.least);
  }

  private bestStates(width: number): State[] {
    const states: State[] = [];
    const seen = new Set<string>();
    for (const child of this.children.sort((one, other) => other.rank - one.rank)) {
      const next = this.grow(child);
      const key = `${next.hash} ${next.y.join()}`;
      if (seen.has(key)) continue;
      seen.add(key);
      states.push(next);
      if (states.length >= width) break;
    }
    return states;
  }

  /** All that may be laid into the lowest valley of a state that takes anything; how many places that are. */
  private expand(from: State): number {
    for (let state = from; ;) {
      const { w, y } = state;
      let s = 0;
      for (let i = 1; i < y.length; i++) if (y[i]! < y[s]!) s = i;
      const looked = this.fill(state, s);
      if (looked > 0) return looked;
      const level = Math.min(y[s - 1] ?? Infinity, y[s + 1] ?? Infinity);
      const waste = state.waste + w[s]! * (level - y[s]!);
      if (waste > this.budget) return 0;
      state = { ...state, x: state.x.slice(), w: w.slice(), y: y.slice(), waste };
      state.y[s] = level;
      joinLevel(state);
    }
  }

  /** All that may be laid into one valley; how many places that are. */
  private fill(parent: State, s: number): number {
    const { x, w, y, counts, corners } = parent;
    const { lattice, narrowest, rough } = this;
    const [mx, my] = this.motif;
    const [sx, width, sy] = [x[s]!, w[s]!, y[s]!];
    const before = s > 0 ? y[s - 1]! : Infinity;
    const after = s < y.length - 1 ? y[s + 1]! : Infinity;
    const highest = Math.max(...y);
    const open = this.openBelow(parent, highest);
    let looked = 0;
    for (let kind = 0; kind < this.kinds.length; kind++) {
      if (counts[kind] === 0) continue;
      const corner = corners[kind]!;
      for (const way of this.kinds[kind]!.ways) {
        let first = sx;
        let last = sx + width - way.w;
        if (last < first) continue;
        if (corner && lattice && lattice.across > 0) {
          first = nextAcross(sx, corner[0] + mx, lattice);
          if (first > last) continue;
          last = first + Math.floor((last - first) / lattice.across) * lattice.across;
        }
        for (let px = first; ; px = last) {
          const low = corner && lattice ? nextAlong(px, sy, [corner[0] + mx, corner[1] + my], lattice) : sy;
          const py = this.blocked.length === 0 ? low : this.offFlaws(way, px, low, corner ? lattice!.along : 0);
          const top = py + way.h;
          const [slit, end] = [px - sx, sx + width - px - way.w];
          const lost =
            (py - sy) * way.w +
            (slit < narrowest ? slit * Math.max(0, Math.min(top, before) - sy) : 0) +
            (end < narrowest ? end * Math.max(0, Math.min(top, after) - sy) : 0);
          const waste = parent.waste + lost;
          if (top <= this.height && waste <= this.budget) {
            looked++;
            const still = open - lost - areaOf(way) + (top > highest ? (top - highest) * this.width : 0);
            const noise = (this.random.next() * NOISE * this.area) / this.parts.length;
            const gain = this.pays * (parent.worth + this.worths[kind]!) - waste - rough * still + noise;
            const rank = this.isLast ? -Math.max(top, highest) : gain;
            if (rank >= this.least) this.children.push({ parent, segment: s, kind, way, px, py, rank });
          }
          if (px === last) break;
        }
      }
    }
    return looked;
  }

  /** nm² between a skyline and a level above it. */
  private openBelow({ w, y }: State, level: Nm): number {
    let open = 0;
    for (let i = 0; i < w.length; i++) open += w[i]! * (level - y[i]!);
    return open;
  }

  /** The first place at or above `py`, by whole repeats of `along` nm, that is clear of flaws; Infinity for none. */
  private offFlaws({ w, h }: Way, px: Nm, py: Nm, along: Nm): Nm {
    const { gap } = this.job;
    let at = py;
    for (let tries = 0; tries < MOST_FLAWS; tries++) {
      const [right, top] = [px + w - gap, at + h - gap];
      const met = this.blocked.find(([x0, y0, x1, y1]) => x0 < right && x1 > px && y0 < top && y1 > at);
      if (!met) return at;
      at = along > 0 ? at + Math.ceil((met[3] - at) / along) * along : met[3];
    }
    return Infinity;
  }

  private grow({ parent, segment: s, kind, way, px, py }: Child): State {
    const [sx, width, sy] = [parent.x[s]!, parent.w[s]!, parent.y[s]!];
    const next: State = {
      ...parent,
      x: parent.x.slice(0, s),
      w: parent.w.slice(0, s),
      y: parent.y.slice(0, s),
      counts: parent.counts.slice(),
      worth: parent.worth + this.worths[kind]!,
      waste: parent.waste + (py - sy) * way.w,
      hash: (parent.hash + this.keys[kind]!) | 0,
      parent,
      kind,
      way,
      px,
      py,
    };
    next.counts[kind]!--;
    if (this.lattice && this.kinds[kind]!.group >= 0 && parent.corners[kind] === null) this.setPhase(next);
    const add = (x: Nm, w: Nm, y: Nm) => {
      next.x.push(x);
      next.w.push(w);
      next.y.push(y);
    };
    const end = sx + width - px - way.w;
    if (px > sx) add(sx, px - sx, sy);
    add(px, way.w, py + way.h);
    if (end > 0) add(px + way.w, end, sy);
    for (let i = s + 1; i < parent.x.length; i++) add(parent.x[i]!, parent.w[i]!, parent.y[i]!);
    // A slit that nothing fits is filled up to its lower wall.
    for (let i = 0; i < next.w.length; i++) {
      if (next.w[i]! >= this.narrowest) continue;
      const level = Math.min(next.y[i - 1] ?? Infinity, next.y[i + 1] ?? Infinity);
      if (level === Infinity || level <= next.y[i]!) continue;
      next.waste += next.w[i]! * (level - next.y[i]!);
      next.y[i] = level;
    }
    joinLevel(next);
    return next;
  }

  /** The first member of a group sets its phase for all. */
  private setPhase(state: State) {
    const lattice = this.lattice!;
    const { group, shift } = this.kinds[state.kind]!;
    const [x, y] = [state.px + shift[0] - this.motif[0], state.py + shift[1] - this.motif[1]];
    state.corners = this.kinds.map((one, k) =>
      one.group === group ? phaseOf(x - one.shift[0], y - one.shift[1], lattice) : state.corners[k]!,
    );
    const [fx, fy] = phaseOf(x, y, lattice);
    state.hash = (state.hash + Math.round(fx * 7 + fy * 13)) | 0;
  }
}

const areaOf = ({ w, h }: Way): number => w * h;

const reachOf = ({ y }: State): Nm => Math.max(...y);

const joinLevel = ({ x, w, y }: State) => {
  for (let i = y.length - 1; i > 0; i--) merge(x, w, y, i);
};

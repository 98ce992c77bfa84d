import type { Box } from '../../model/box';
import { nextAcross, nextAlong, phaseOf, type Lattice } from '../../../cloth';
import type { Nm } from '../../../length';
import type { LayJob } from '../../model/job';
import {
  gatherClasses,
  layOf,
  type ChainLay,
  type PartClass,
  type ClassPhase,
  type Way,
} from '../../search/part-classes';
import { Children, growBest, Level } from '../zero-waste-beam/beam';
import { boxesOutside } from '../../model/outline';
import type { LayPart } from '../../model/parts';
import type { Random } from '../../search/random';

/** Random noise in a rank, in mean parts. */
const NOISE = 0.02;
/** Places that are looked at before it lets others go on: some milliseconds. */
const AT_ONCE = 5_000;
/** When so many times the states that are kept wait to be ranked, the best so many times stay. */
const FULL = 12;
const KEPT = 3;
/** A part is moved along past so many flaws at most. */
const MOST_FLAWS = 4;

/** States with the phases that they ask for, and what they are worth. */
class WaitingLevel extends Level {
  /** By state and kind, the phase that its corner must have; null: it lies where it likes. */
  readonly corners: (readonly (ClassPhase | null)[])[] = [];
  /** nm² of the parts laid, those that wait counted for more. */
  readonly worth: Float64Array;

  constructor(width: number, segments: number, kinds: number) {
    super(width, segments, kinds);
    this.worth = new Float64Array(width);
  }
}

/** Places with how high they are. */
class WaitingChildren extends Children {
  readonly py: Float64Array;

  constructor(most: number) {
    super(most);
    this.py = new Float64Array(most);
  }

  protected override move(to: number, from: number) {
    super.move(to, from);
    this.py[to] = this.py[from]!;
  }
}

/** One way of one kind, its size with the gap. */
interface ClassWay extends Way {
  kind: number;
}

/** How a beam ranks its states. */
export interface Ranking {
  /** How many states are kept with equally many parts. */
  width: number;
  /** How much waste the area of parts makes up for, in shares of what the target allows them. */
  pays: number;
  /** How much more the area of matched parts makes up for. */
  matched: number;
  /** Weight of cloth, beside waste, that is still open below the highest part. */
  rough: number;
  /** Weight of the area of some pieces (by id) beside that; 1 for others. */
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
export class PhaseWaitingBeam {
  private readonly kinds: PartClass[];
  private readonly lattice: Lattice | null;
  private readonly left: Nm;
  /** The usable width with the gap. */
  private readonly width: Nm;
  private readonly motif: ClassPhase;
  /** Closed boxes: flaws, and cloth outside an odd shape. */
  private readonly blocked: readonly Box[];
  private readonly area: number;
  private readonly narrowest: Nm;
  private readonly keys: Int32Array;
  private readonly corners: readonly (ClassPhase | null)[];
  private readonly worths: Float64Array;
  /** All ways of all kinds, the narrowest first. */
  private readonly ways: ClassWay[];
  private now: WaitingLevel;
  private next: WaitingLevel;
  private children: WaitingChildren;
  /** States that rank lower in this level need not be kept. */
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
    private readonly parts: readonly LayPart[],
    private readonly on: number,
    phases: ReadonlyMap<string, ClassPhase>,
    private readonly random: Random,
  ) {
    const { gap, lattice, stock } = job;
    const { left, right, length, motif, flaws, outline } = stock[on]!;
    this.lattice = lattice;
    this.left = left;
    this.width = right - left + gap;
    this.motif = motif;
    this.blocked = [...flaws, ...(outline ? boxesOutside(outline, left, right, length) : [])];
    this.kinds = gatherClasses(job, parts).kinds;
    this.area = this.kinds.reduce((sum, { ways, members }) => sum + members.length * areaOf(ways[0]!), 0);
    this.narrowest = Math.min(...this.kinds.flatMap(({ ways }) => ways.map(({ w }) => w)));
    this.keys = Int32Array.from({ length: this.kinds.length }, () => Math.floor(random.next() * 2 ** 31) | 1);
    this.corners = this.kinds.map(({ fixed, shift, members }) => {
      const phase = phases.get(parts[members[0]!]!.match?.group ?? '');
      return fixed ?? (phase && lattice ? phaseOf(phase[0] - shift[0], phase[1] - shift[1], lattice) : null);
    });
    this.worths = new Float64Array(this.kinds.length);
    this.ways = this.kinds.flatMap(({ ways }, kind) => ways.map((way) => ({ ...way, kind }))).sort((a, b) => a.w - b.w);
    this.now = this.next = this.levelOf(0);
    this.children = new WaitingChildren(0);
  }

  private levelOf(width: number): WaitingLevel {
    // No segment of a skyline is narrower than the narrowest part, and each part makes two more at most. A new one has a slit on each side, too.
    const most = Math.min(Math.floor(this.width / this.narrowest), 2 * this.parts.length + 1);
    return new WaitingLevel(width, most + 3, this.kinds.length);
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
    this.now = this.levelOf(width);
    this.next = this.levelOf(width);
    this.children = new WaitingChildren(FULL * width + 2 * this.ways.length + 1);
    this.start();
    for (let level = 0; level < this.parts.length; level++) {
      this.children.size = 0;
      this.least = -Infinity;
      this.isLast = level === this.parts.length - 1;
      let looked = 0;
      for (let state = 0; state < this.now.size; state++) {
        looked += this.expand(state);
        if (looked > AT_ONCE) {
          yield looked;
          looked = 0;
        }
        if (this.children.size > FULL * width) this.least = this.children.keepBest(KEPT * width);
      }
      if (this.children.size === 0) break;
      this.goOn(width);
      yield looked;
    }
    const { skylines, size, chains } = this.now;
    let last = 0;
    for (let state = 1; state < size; state++) if (skylines.highest(state) < skylines.highest(last)) last = state;
    const lay = layOf(chains[last]!, this.kinds, this.parts.length, this.on, 0);
    return { ...lay, reached: skylines.highest(last) - this.job.gap };
  }

  private start() {
    const { now, kinds } = this;
    now.start(
      this.left,
      this.width,
      kinds.map(({ members }) => members.length),
    );
    now.corners[0] = this.corners;
    now.worth[0] = 0;
  }

  /** Makes the best children the states of the next level. */
  private goOn(width: number) {
    const { next } = this;
    next.size = growBest(this.children, width, next, (child, to) => this.grow(child, to));
    next.corners.length = next.chains.length = next.size;
    this.next = this.now;
    this.now = next;
  }

  /** All that may be laid into the lowest valley of a state that takes anything; how many places that are. */
  private expand(state: number): number {
    const { now } = this;
    const { skylines } = now;
    for (;;) {
      const s = skylines.lowest(state);
      const looked = this.fill(state, s);
      if (looked > 0) return looked;
      const i = state * skylines.most + s;
      const level = skylines.wallOf(state, s);
      now.waste[state]! += skylines.w[i]! * (level - skylines.y[i]!);
      if (now.waste[state]! > this.budget) return 0;
      skylines.raise(state, s, level);
    }
  }

  /** All that may be laid into one valley; how many places that are. */
  private fill(state: number, s: number): number {
    const { lattice, narrowest, rough, children, ways, now } = this;
    const { skylines, counts } = now;
    const corners = now.corners[state]!;
    const firstCount = state * this.kinds.length;
    const [mx, my] = this.motif;
    const i = state * skylines.most + s;
    const [sx, width, sy] = [skylines.x[i]!, skylines.w[i]!, skylines.y[i]!];
    const before = s > 0 ? skylines.y[i - 1]! : Infinity;
    const after = s < skylines.count[state]! - 1 ? skylines.y[i + 1]! : Infinity;
    const highest = skylines.highest(state);
    const open = skylines.openBelow(state, highest);
    const [worth, wasted] = [now.worth[state]!, now.waste[state]!];
    const noise = (NOISE * this.area) / this.parts.length;
    let looked = 0;
    for (let k = 0; k < ways.length; k++) {
      const way = ways[k]!;
      if (way.w > width) break;
      if (counts[firstCount + way.kind] === 0) continue;
      const corner = corners[way.kind]!;
      let first = sx;
      let last = sx + width - way.w;
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
        const waste = wasted + lost;
        if (top <= this.height && waste <= this.budget) {
          looked++;
          const still = open - lost - way.w * way.h + (top > highest ? (top - highest) * this.width : 0);
          const gain = this.pays * (worth + this.worths[way.kind]!) - waste - rough * still;
          const rank = this.isLast ? -Math.max(top, highest) : gain + noise * this.random.next();
          if (rank >= this.least) children.py[children.add(state, s, k, px, rank)] = py;
        }
        if (px === last) break;
      }
    }
    return looked;
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

  /** Makes a child a state of the next level. */
  private grow(child: number, to: number) {
    const { now, next, children } = this;
    const parent = children.parent[child]!;
    const s = children.segment[child]!;
    const [px, py] = [children.px[child]!, children.py[child]!];
    const way = this.ways[children.way[child]!]!;
    const { kind } = way;
    const sy = now.skylines.y[parent * now.skylines.most + s]!;
    const filled = next.skylines.lay(to, now.skylines, parent, s, px, way.w, py + way.h, this.narrowest);
    next.waste[to] = now.waste[parent]! + (py - sy) * way.w + filled;
    next.worth[to] = now.worth[parent]! + this.worths[kind]!;
    next.takeOne(to, now, parent, kind);
    next.hash[to] = now.hash[parent]! + this.keys[kind]!;
    next.corners[to] = now.corners[parent]!;
    next.chains[to] = { parent: now.chains[parent]!, kind, way, px, py };
    if (this.lattice && this.kinds[kind]!.group >= 0 && now.corners[parent]![kind] === null)
      this.setPhase(to, kind, px, py);
  }

  /** The first member of a group sets its phase for all. */
  private setPhase(to: number, kind: number, px: Nm, py: Nm) {
    const { next } = this;
    const lattice = this.lattice!;
    const { group, shift } = this.kinds[kind]!;
    const [x, y] = [px + shift[0] - this.motif[0], py + shift[1] - this.motif[1]];
    const before = next.corners[to]!;
    next.corners[to] = this.kinds.map((one, k) =>
      one.group === group ? phaseOf(x - one.shift[0], y - one.shift[1], lattice) : before[k]!,
    );
    const [fx, fy] = phaseOf(x, y, lattice);
    next.hash[to]! += Math.imul(Math.round(fx * 7 + fy * 13), this.keys[group]!);
  }
}

const areaOf = ({ w, h }: Way): number => w * h;

import type { Box } from '../model/box';
import type { Nm } from '../../length';
import { endlessOf, isPlainRoll, type LayJob } from '../model/job';
import type { LayPart } from '../model/parts';
import { PhaseTracker, type Phase } from './phase-tracker';
import type { Random } from './random';
import { BestFit } from './best-fit';
import { GuillotineSpace } from '../geometry/guillotine-space';
import { boxesOutside } from '../model/outline';
import { FreeSpace, nowhere, type ClothSpace, type SpaceRule } from '../geometry/free-space';
import { suitsTightSearch, TightSearch } from '../strategies/order-search/tight-search';

/** A rule for the free space, or `fit`: best-fit on a skyline, where nothing holds a phase. */
export type Rule = SpaceRule | 'fit';

const SPACE_RULES: readonly SpaceRule[] = ['top', 'bottom', 'tight'];

/** Where the parts lie after one pass: index of the stock length (-1: nowhere), lower left corner, quarter turns. */
export interface Placing {
  stock: Int32Array;
  x: Float64Array;
  y: Float64Array;
  turned: Uint8Array;
  /** How good it is; the search makes it small. */
  cost: number;
  /** The furthest point on each stock length. */
  used: Float64Array;
}

/** How much of the mean height counts beside the length. */
const DRIFT = 1e-3;

/**
 * Places parts one after another in a given order, each at its best place by the rule: the first stock length that has
 * room, there the lowest free place that holds the part's phase. A match group's phase is the one it is given, or the
 * one that its first member gets by lying where it likes.
 */
export class Placer {
  private readonly spaces: ClothSpace[];
  /** The match groups and the phase that each has in the pass. */
  readonly groups: PhaseTracker;
  private readonly endless: number;
  /** The best-fit placer, for parts without a phase on one endless length without flaws. */
  private readonly bestFit: BestFit | null;
  private tight: TightSearch | null = null;
  /** Tells whether a depth-first search for a tight lay makes sense here. */
  readonly canBeTight: boolean;
  /** The rules that may be used here. */
  readonly rules: readonly Rule[];

  constructor(
    private readonly job: LayJob,
    private readonly parts: readonly LayPart[],
  ) {
    const { gap } = job;
    const sides = parts.map(({ width, height, turns }) => [
      Math.min(...turns.map((turn) => (turn === 0 ? width : height))) + gap,
      Math.min(...turns.map((turn) => (turn === 0 ? height : width))) + gap,
    ]);
    const leastWidth = Math.min(...sides.map(([w]) => w!));
    const leastHeight = Math.min(...sides.map(([, h]) => h!));
    const Space = job.straight ? GuillotineSpace : FreeSpace;
    this.spaces = job.stock.map(({ left, right, length, flaws, outline }) => {
      const blocked = [...flaws, ...(outline ? boxesOutside(outline, left, right, length) : [])];
      // A box carries its gap above and to the right; a flaw may be touched, so it starts that much later.
      const moved = blocked.map(([x0, y0, x1, y1]): Box => [
        x1 - x0 > gap ? x0 + gap : x0,
        y1 - y0 > gap ? y0 + gap : y0,
        x1,
        y1,
      ]);
      return new Space(left, right + gap, length + gap, leastWidth, leastHeight, moved);
    });

    // Groups of pieces that lie nowhere are not among the parts.
    this.groups = new PhaseTracker(job.lattice, parts);
    this.endless = endlessOf(job.stock);
    const [first] = job.stock;
    const isPlain = isPlainRoll(job.stock) && !job.straight && parts.every(({ match }) => !match);
    this.bestFit = isPlain ? new BestFit(parts, first!.left, first!.right, gap) : null;
    this.canBeTight = suitsTightSearch(job) && parts.length > 0;
    this.rules = isPlain ? ['fit', ...SPACE_RULES] : SPACE_RULES;
  }

  /**
   * One pass over `order` (indices of parts) with the given phases of the groups, null to leave one open.
   * Gives up with an infinite cost once the endless length passes `limit`.
   */
  place(order: Int32Array, rule: Rule, limit: Nm, phases: readonly (Phase | null)[] = []): Placing {
    const n = this.parts.length;
    const { stock } = this.job;
    if (rule === 'fit') return this.placeBestFit(order, limit);
    this.clear(phases, rule);
    const result: Placing = {
      stock: new Int32Array(n).fill(-1),
      x: new Float64Array(n),
      y: new Float64Array(n),
      turned: new Uint8Array(n),
      cost: 0,
      used: new Float64Array(stock.length),
    };
    for (const i of order) {
      if (!this.placeOne(this.parts[i]!, i, rule, result)) continue;
      const at = result.stock[i]!;
      if (at === this.endless && result.used[at]! > limit) return { ...result, cost: Infinity };
    }
    result.cost = costOf(this.job, this.parts, result);
    return result;
  }

  /** Looks for a lay of at most `target` nm in `nodes` steps of a depth-first search; null when it finds none. */
  placeTight(target: Nm, nodes: number, random: Random): Placing | null {
    if (!this.canBeTight) return null;
    this.tight ??= new TightSearch(this.job, this.parts, random);
    const n = this.parts.length;
    const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
    return this.tight.run(target, nodes, x, y, turned) ? this.asPlacing(x, y, turned) : null;
  }

  private placeBestFit(order: Int32Array, limit: Nm): Placing {
    const n = this.parts.length;
    const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
    const used = this.bestFit!.place(order, limit, x, y, turned);
    if (used === Infinity) return { stock: new Int32Array(n), x, y, turned, used: Float64Array.of(used), cost: used };
    return this.asPlacing(x, y, turned);
  }

  /** All parts lie on the one length: its furthest point and the cost. */
  asPlacing(x: Float64Array, y: Float64Array, turned: Uint8Array): Placing {
    return measured(this.job, this.parts, { stock: new Int32Array(this.parts.length), x, y, turned });
  }

  private clear(phases: readonly (Phase | null)[], rule: SpaceRule) {
    this.groups.reset(phases);
    for (const space of this.spaces) space.clear(rule);
  }

  private placeOne(part: LayPart, i: number, rule: SpaceRule, result: Placing): boolean {
    const { gap, lattice, stock } = this.job;
    const phase = this.groups.cornerPhase(i);
    for (let k = 0; k < stock.length; k++) {
      const best = nowhere();
      let turned = 0;
      for (const turn of part.turns) {
        const [w, h] = turn === 0 ? [part.width, part.height] : [part.height, part.width];
        const before = best.score;
        const tie = best.tie;
        this.spaces[k]!.find(w + gap, h + gap, rule, best, phase, lattice, stock[k]!.motif);
        if (best.score !== before || best.tie !== tie) turned = turn === 0 ? 0 : 1;
      }
      if (best.score === Infinity) continue;
      const [w, h] = turned === 0 ? [part.width, part.height] : [part.height, part.width];
      this.spaces[k]!.take(best.x, best.y, best.x + w + gap, best.y + h + gap);
      result.stock[i] = k;
      result.x[i] = best.x;
      result.y[i] = best.y;
      result.turned[i] = turned;
      result.used[k] = Math.max(result.used[k]!, best.y + h);
      this.groups.learn(i, stock[k]!.motif, best.x, best.y);
      return true;
    }
    return false;
  }
}

/** How far a lay reaches on each length, and what it costs. */
export function measured(job: LayJob, parts: readonly LayPart[], where: Omit<Placing, 'cost' | 'used'>): Placing {
  const { stock, y, turned } = where;
  const used = new Float64Array(job.stock.length);
  parts.forEach(({ width, height }, i) => {
    const at = stock[i]!;
    if (at >= 0) used[at] = Math.max(used[at]!, y[i]! + (turned[i]! % 2 === 1 ? width : height));
  });
  return { ...where, used, cost: costOf(job, parts, { ...where, used }) };
}

/** Cost of a lay, to be made small: what is not placed, the endless length, a little the others, and how high it all lies. */
export function costOf(
  { stock }: LayJob,
  parts: readonly LayPart[],
  { stock: at, y, turned, used }: Omit<Placing, 'cost'>,
): number {
  let [unplaced, lifted, total] = [0, 0, 0];
  parts.forEach(({ width, height }, i) => {
    const area = width * height;
    if (at[i]! < 0) {
      unplaced += area;
      return;
    }
    lifted += area * (y[i]! + (turned[i]! % 2 === 1 ? width : height));
    total += area;
  });
  const endless = endlessOf(stock);
  const endlessUsed = endless >= 0 ? used[endless]! : 0;
  const finiteUsed = used.reduce((sum, one) => sum + one, 0) - endlessUsed;
  const widest = Math.max(...stock.map(({ left, right }) => right - left));
  // Low parts keep room above: a small part of the mean height steers between lays of the same length.
  const drift = total > 0 ? lifted / total : 0;
  return (unplaced / widest) * 1e4 + endlessUsed + drift * DRIFT + finiteUsed * 1e-4;
}

import type { Nm } from '../../../length';
import { GuillotineTree, type PartBox } from './guillotine-tree';
import type { LayJob } from '../../model/job';
import { partWays, type Way } from '../../search/part-classes';
import type { LayPart } from '../../model/parts';
import type { Placing } from '../../search/placer';
import type { Random } from '../../search/random';

/** Worth of a free rectangle grows a little faster than its area, by the 2^5th root of it: one large one rather than two small. */
const ROOTS = 5;
/** Most parts that are taken off with one subtree, and how many levels up from a part it begins at most. */
const MOST_OFF = 16;
const LEVELS = 3;
/** Most subtrees that are taken off at once. */
const MOST_SUBTREES = 4;
/** How much worse a step may be, in mean parts that are laid nowhere. */
const HEAT = 0.05;
/** Weight of free rectangles beside the area that is laid nowhere. */
const WHOLENESS = 0.05;

/**
 * Goal-driven ruin and recreate for straight cutting on the tree of cuts (after Gardeyn and Wauters 2022, from memory; there
 * for bins). Over and over some subtrees are taken off, and all that is laid nowhere is laid where it leaves the rest most
 * whole. The step stays when hardly more is laid nowhere. For one endless length without flaws, and parts without a phase.
 */
export class GuillotineRuin {
  private readonly ways: Way[][];
  private readonly areas: Float64Array;
  private readonly mean: number;
  private readonly width: Nm;
  private readonly left: Nm;
  private readonly gap: Nm;
  private readonly narrowest: Nm;
  private readonly now: GuillotineTree;
  private readonly kept: GuillotineTree;
  private cost = Infinity;
  private length: Nm = 0;
  /** Parts to lay; parts laid nowhere in this step, and in the lay that is kept. */
  private readonly out: number[] = [];
  private failed: number[] = [];
  private missing: number[] = [];
  private readonly keys: Float64Array;

  constructor(
    job: LayJob,
    private readonly parts: readonly LayPart[],
    private readonly random: Random,
  ) {
    const [{ left, right }] = job.stock as [LayJob['stock'][number]];
    const { gap } = job;
    this.gap = gap;
    this.left = left;
    this.width = right - left + gap;
    this.ways = parts.map((part) => partWays(part, gap));
    this.areas = Float64Array.from(this.ways, ([way]) => way!.w * way!.h);
    this.mean = this.areas.reduce((sum, area) => sum + area, 0) / parts.length;
    this.narrowest = Math.min(...this.ways.flat().flatMap(({ w, h }) => [w, h]));
    this.now = new GuillotineTree(parts.length, this.narrowest);
    this.kept = new GuillotineTree(parts.length, this.narrowest);
    this.keys = new Float64Array(parts.length);
  }

  /** The furthest point (nm) of the lay that is kept. */
  get used(): Nm {
    const { kept, gap } = this;
    let used = 0;
    kept.each((part, _, y) => (used = Math.max(used, y + kept.h[kept.nodeOf[part]!]! - gap)));
    return used;
  }

  /** True when all parts are laid. */
  get isWhole(): boolean {
    return this.missing.length === 0;
  }

  /** Takes over a lay with a length of `used` nm; where straight cuts can't divide it, all is laid anew below that length as far as it goes. */
  load({ x, y, turned }: Pick<Placing, 'x' | 'y' | 'turned'>, used: Nm) {
    this.clear(used);
    const boxes = this.parts.map((_, part): PartBox => {
      const way = this.ways[part]!.find((one) => one.turned === turned[part]! % 2)!;
      return { part, way, x: x[part]! - this.left, y: y[part]! };
    });
    if (!this.now.divide(boxes)) this.build(used);
    else this.keep(this.costNow());
  }

  /** Lays all parts below a length (nm) as far as they go there, the large ones first. */
  build(target: Nm) {
    this.clear(target);
    this.failed = Array.from(this.parts, (_, i) => i)
      .sort((a, b) => this.areas[b]! - this.areas[a]! || a - b)
      .filter((part) => !this.layBest(part));
    this.keep(this.costNow());
  }

  /** Shortens the cloth to a length (nm); what finds no place is laid nowhere. */
  aim(target: Nm) {
    const less = this.length - target;
    this.length = target;
    this.gatherMissing();
    this.now.shorten(less, (count) => this.random.below(count), this.out);
    this.layOut();
    this.keep(this.costNow());
  }

  /** One step: some subtrees are taken off and all that is laid nowhere is tried again; true when it stays. */
  tryStep(): boolean {
    const { now, random } = this;
    this.gatherMissing();
    for (let times = 1 + random.below(MOST_SUBTREES); times > 0; times--) {
      const part = random.below(this.parts.length);
      if (now.nodeOf[part]! >= 0) now.takeOff(part, random.below(LEVELS + 1), MOST_OFF, this.out);
    }
    this.layOut();
    const cost = this.costNow();
    const stays = cost <= this.cost - HEAT * Math.log(Math.max(1e-12, random.next()));
    if (stays) this.keep(cost);
    else now.copy(this.kept);
    return stays;
  }

  /** Where the parts lie on the cloth; fills x, y and turned by part. */
  unfold(x: Float64Array, y: Float64Array, turned: Uint8Array) {
    this.kept.each((part, px, py, way) => {
      x[part] = this.left + px;
      y[part] = py;
      turned[part] = way;
    });
  }

  private clear(length: Nm) {
    this.length = length;
    this.now.clear(this.width, length + this.gap);
    this.failed = [];
  }

  private keep(cost: number) {
    this.kept.copy(this.now);
    this.cost = cost;
    [this.missing, this.failed] = [this.failed, this.missing];
  }

  private gatherMissing() {
    this.out.length = 0;
    for (const part of this.missing) this.out.push(part);
  }

  /** Lays what is to be laid, mostly the large ones first. */
  private layOut() {
    const { out, keys, random } = this;
    const bySide = random.below(4) === 0;
    const noise = 0.1 + random.next() * 0.5;
    for (const i of out) {
      const { width, height } = this.parts[i]!;
      const key = bySide ? Math.max(width, height) ** 2 : width * height;
      keys[i] = key * (1 + noise * (random.next() * 2 - 1));
    }
    out.sort((a, b) => keys[b]! - keys[a]! || a - b);
    this.failed.length = 0;
    for (const part of out) if (!this.layBest(part)) this.failed.push(part);
  }

  private costNow(): number {
    const { now } = this;
    let cost = 0;
    for (const part of this.failed) cost += this.areas[part]! / this.mean;
    for (let k = 0; k < now.open; k++) cost -= WHOLENESS * this.worth(now.w[now.free[k]!]!, now.h[now.free[k]!]!);
    return cost;
  }

  private worth(w: Nm, h: Nm): number {
    if (w < this.narrowest || h < this.narrowest) return 0;
    const area = (w * h) / this.mean;
    let root = area;
    for (let k = 0; k < ROOTS; k++) root = Math.sqrt(root);
    return area * root;
  }

  /** Lays a part where that costs least of what the free rectangles are worth; false where there is no room. */
  private layBest(part: number): boolean {
    const { now } = this;
    let best = Infinity;
    let bestNode = -1;
    let bestWay: Way | null = null;
    let bestFirst = false;
    const ways = this.ways[part]!;
    for (let k = 0; k < now.open; k++) {
      const node = now.free[k]!;
      const [w, h] = [now.w[node]!, now.h[node]!];
      let whole = -1;
      for (let i = 0; i < ways.length; i++) {
        const way = ways[i]!;
        const [right, above] = [w - way.w, h - way.h];
        if (right < 0 || above < 0) continue;
        if (whole < 0) whole = this.worth(w, h);
        const acrossFirst = whole - this.worth(right, h) - this.worth(way.w, above);
        if (acrossFirst < best) [best, bestNode, bestWay, bestFirst] = [acrossFirst, node, way, true];
        if (right === 0 || above === 0) continue;
        const alongFirst = whole - this.worth(right, way.h) - this.worth(w, above);
        if (alongFirst < best) [best, bestNode, bestWay, bestFirst] = [alongFirst, node, way, false];
      }
    }
    if (!bestWay || now.isFull) return false;
    now.lay(part, bestWay, bestNode, bestFirst);
    return true;
  }
}

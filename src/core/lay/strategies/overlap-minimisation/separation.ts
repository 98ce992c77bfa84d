import { nextAlong, phaseOf, wrap } from '../../../cloth';
import type { Nm } from '../../../length';
import type { NoFitPolygons, Shape } from '../../geometry/no-fit-polygons';
import { endlessOf, type LayJob } from '../../model/job';
import type { LayPart } from '../../model/parts';
import { PhaseTracker, type Phase } from '../../search/phase-tracker';
import type { Placing } from '../../search/placer';
import type { Random } from '../../search/random';
import type { ShapeSet, Spot } from '../../geometry/shapes';
import { FREE, WeighedSpots } from './weighed-spots';

/** Places tried for a part anywhere, fewer each the more parts there are; for each of them tried about where it is. */
const MOST_TRIES = 20;
const LEAST_TRIES = 8;
const ALL_TRIES = 1200;
const ABOUT = 0.6;
/** Places tried where a part touches another one, for each of them tried anywhere. */
const BESIDE = 3;
/** Steps that a place is bettered by at most, and by what part each must make it lighter: without, one part could take seconds. */
const TRIES = 40;
const LEAST_GAIN = 0.001;
/** A part bound to a phase is tried at so many of its places. */
const BOUND = 60;
const PHASES_TRIED = 8;
/** Parts that are moved before others are let go on: some milliseconds. */
const AT_ONCE = 10;

/**
 * Overlap minimisation with guided weights (after Umetani and others 2009 and Gardeyn and others 2025, from memory): all
 * parts are separated below a target, where they lie in each other; one after another those that do are given the place where
 * they lie least deep in others, and what two parts that stay in each other weigh grows. Each part keeps to the turns, the
 * pattern and the lengths of cloth; match groups change their phase as a whole.
 */
export class Separation {
  private readonly shapes: Shape[];
  /** For each part the numbers of its shapes, and the turn of each shape. */
  private readonly ways: number[][];
  private readonly turnOf: number[];
  private readonly clearances: NoFitPolygons;
  private readonly lying: WeighedSpots;
  private readonly spots: Spot[];
  private readonly n: number;
  private readonly tries: number;
  private readonly endless: number;
  private readonly groups: PhaseTracker;
  private readonly members: number[][];
  private target: Nm = 0;
  /** The cloth (nm²) of each length up to the target, and of all. */
  private areas: number[] = [];
  private area = 0;
  /** The best state since the target was set, by what lies in each other. */
  private best: { depth: number; spots: Spot[]; phases: (Phase | null)[] } | null = null;
  stale = 0;
  constructor(
    private readonly job: LayJob,
    private readonly parts: readonly LayPart[],
    readonly from: ShapeSet,
    private readonly random: Random,
  ) {
    const { shapes, turnOf, ways, clearances } = from;
    this.shapes = shapes;
    this.turnOf = turnOf;
    this.ways = ways;
    this.n = parts.length;
    this.tries = Math.max(LEAST_TRIES, Math.min(MOST_TRIES, Math.round(ALL_TRIES / this.n)));
    this.clearances = clearances;
    this.lying = new WeighedSpots(this.n, from, job.gap);
    this.spots = this.lying.spots;
    this.endless = endlessOf(job.stock);
    this.groups = new PhaseTracker(job.lattice, parts);
    this.members = this.groups.members();
  }

  /** Starts from a whole lay, or (null) from where the parts are, separated below a target on the endless length. */
  begin(placing: Placing | null, target: Nm) {
    this.target = target;
    this.areas = this.job.stock.map(({ left, right }, k) => (right - left) * this.farOf(k));
    this.area = this.areas.reduce((sum, one) => sum + one, 0);
    if (placing) this.load(placing);
    for (let i = 0; i < this.n; i++) {
      const spot = this.spots[i]!;
      if (spot.stock !== this.endless || spot.y + this.shapes[spot.shape]!.height <= target) continue;
      this.lying.put(i, this.anywhere(i) ?? spot);
    }
    this.lying.forget();
    this.best = null;
    this.stale = 0;
  }

  /** Swaps two large parts that are not alike: a way out of where small steps lead no further. */
  disrupt() {
    const { random, spots } = this;
    const size = (i: number) => this.shapes[spots[i]!.shape]!.width * this.shapes[spots[i]!.shape]!.height;
    const large = Array.from({ length: this.n }, (_, i) => i)
      .sort((a, b) => size(b) - size(a) || a - b)
      .slice(0, Math.ceil(this.n / 2));
    const i = large[random.below(large.length)]!;
    const others = large.filter((j) => this.ways[j]![0] !== this.ways[i]![0]);
    if (others.length === 0) return;
    const j = others[random.below(others.length)]!;
    const [one, other] = [spots[i]!, spots[j]!];
    const to = (k: number, shape: number, { stock, x, y }: Spot) => {
      const place = this.allowed(k, stock, x, y, shape);
      if (place) this.lying.put(k, { stock, x: place[0], y: place[1], shape });
    };
    to(i, one.shape, other);
    to(j, other.shape, one);
  }

  private load(placing: Placing) {
    const { job } = this;
    this.groups.reset();
    for (let i = 0; i < this.n; i++) {
      const turn = placing.turned[i]!;
      const shape = this.ways[i]!.find((one) => this.turnOf[one] === turn) ?? this.ways[i]![0]!;
      this.lying.put(i, { stock: placing.stock[i]!, x: placing.x[i]!, y: placing.y[i]!, shape });
      if (placing.stock[i]! >= 0)
        this.groups.learn(i, job.stock[placing.stock[i]!]!.motif, placing.x[i]!, placing.y[i]!);
    }
  }

  /** One sweep over the parts that lie in others, in a random order. Yields how many were moved about, now and then and at the end. */
  *sweep(): Generator<number, void, void> {
    const { random } = this;
    let moved = 1;
    if (this.members.length > 0 && random.next() < 0.5) moved += this.moveGroup();
    const order = Array.from({ length: this.n }, (_, i) => i).filter((i) => this.lying.overlaps(i));
    for (let k = order.length - 1; k > 0; k--) {
      const other = random.below(k + 1);
      [order[k], order[other]] = [order[other]!, order[k]!];
    }
    for (const i of order) {
      if (!this.lying.overlaps(i)) continue;
      this.move(i);
      if (++moved < AT_ONCE) continue;
      yield moved;
      moved = 0;
    }
    this.keepBest();
    yield moved;
  }

  /** True when no part lies in another or beyond the target. */
  get isFree(): boolean {
    return this.best !== null && this.best.depth === 0;
  }

  /** Back to the state with the least overlap, with weights as they are. */
  restore() {
    if (!this.best) return;
    this.best.spots.forEach((spot, i) => this.lying.put(i, spot));
    this.best.phases.forEach((phase, g) => (this.groups.phases[g] = phase));
    this.stale = 0;
  }

  /** Where the parts lie, on whole nanometres. */
  asPlacing(): Pick<Placing, 'stock' | 'x' | 'y' | 'turned'> {
    const spots = this.spots.slice(0, this.n);
    return {
      stock: Int32Array.from(spots, ({ stock }) => stock),
      x: Float64Array.from(spots, ({ x }) => x),
      y: Float64Array.from(spots, ({ y }) => y),
      turned: Uint8Array.from(spots, ({ shape }) => this.turnOf[shape]!),
    };
  }

  private farOf(stock: number): Nm {
    return stock === this.endless ? this.target : this.job.stock[stock]!.length;
  }

  /** The place nearest to (x, y) that the cloth and the pattern allow, null where there is none. */
  private allowed(i: number, stock: number, x: Nm, y: Nm, shape: number): [Nm, Nm] | null {
    const { left, right, motif } = this.job.stock[stock]!;
    const { width, height } = this.shapes[shape]!;
    const [lastX, lastY] = [right - width, this.farOf(stock) - height];
    if (lastX < left || lastY < 0) return null;
    const phase = this.groups.cornerPhase(i);
    const { lattice } = this.job;
    let atX = Math.round(Math.min(lastX, Math.max(left, x)));
    let atY = Math.round(Math.min(lastY, Math.max(0, y)));
    if (!phase || !lattice) return [atX, atY];
    if (lattice.across > 0) {
      const down = wrap(atX - motif[0] - phase[0], lattice.across);
      atX -= down > lattice.across / 2 ? down - lattice.across : down;
      if (atX > lastX) atX -= lattice.across;
      if (atX < left) atX += lattice.across;
      if (atX > lastX) return null;
    }
    if (lattice.along > 0) {
      const up = motif[1] + nextAlong(atX - motif[0], atY - motif[1], phase, lattice);
      atY = up - atY > lattice.along / 2 ? up - lattice.along : up;
      if (atY > lastY) atY -= lattice.along;
      if (atY < 0) atY += lattice.along;
      if (atY > lastY) return null;
    }
    return [atX, atY];
  }

  private anywhere(i: number): Spot | null {
    const { random, job, areas } = this;
    for (let tries = 0; tries < 20; tries++) {
      let at = random.next() * this.area;
      let stock = 0;
      while (stock < areas.length - 1 && at >= areas[stock]!) at -= areas[stock++]!;
      const shape = this.ways[i]![random.below(this.ways[i]!.length)]!;
      const { left, right } = job.stock[stock]!;
      const { width, height } = this.shapes[shape]!;
      const x = left + random.next() * (right - left - width);
      const place = this.allowed(i, stock, x, random.next() * (this.farOf(stock) - height), shape);
      if (place) return { stock, x: place[0], y: place[1], shape };
    }
    return null;
  }

  /** A place where a part touches another one, corner to corner or along an edge; null where the cloth allows none. */
  private beside(i: number): Spot | null {
    const { random, clearances } = this;
    const { shapeOf, X, Y, on } = this.lying;
    const j = random.below(X.length);
    const shape = this.ways[i]![random.below(this.ways[i]!.length)]!;
    const corners = clearances.cornersOf(shapeOf[j]!, shape);
    if (j === i || corners.length === 0) return null;
    const c = 2 * random.below(corners.length / 2);
    const place = this.allowed(i, on[j]!, X[j]! + corners[c]!, Y[j]! + corners[c + 1]!, shape);
    return place && { stock: on[j]!, x: place[0], y: place[1], shape };
  }

  /** Gives a part the best of many places, if it is no worse than where it is. */
  private move(i: number) {
    const { random, tries } = this;
    const now = this.spots[i]!;
    let best: Spot | null = null;
    let least = Infinity;
    const isBound = this.parts[i]!.match !== null && this.job.lattice !== null;
    const consider = (spot: Spot | null) => {
      if (!spot) return;
      const weight = this.lying.weightOf(i, spot.stock, spot.x, spot.y, spot.shape, least);
      if (weight >= least) return;
      best = spot;
      least = weight;
    };
    for (let k = 0; k < (isBound ? BOUND : tries); k++) consider(this.anywhere(i));
    for (let k = 0; k < ABOUT * tries; k++) {
      const shape = random.next() < 0.7 ? now.shape : this.ways[i]![random.below(this.ways[i]!.length)]!;
      const { width, height } = this.shapes[shape]!;
      const x = now.x + (random.next() - 0.5) * width;
      const y = now.y + (random.next() - 0.5) * height;
      const place = this.allowed(i, now.stock, x, y, shape);
      if (place) consider({ ...now, shape, x: place[0], y: place[1] });
    }
    for (let k = 0; k < BESIDE * tries; k++) consider(this.beside(i));
    let kept = { spot: now, weight: this.lying.weightOf(i, now.stock, now.x, now.y, now.shape, Infinity) };
    for (const spot of [best, now]) {
      if (!spot) continue;
      const bettered = this.better(i, spot, spot === now ? kept.weight : least);
      if (bettered.weight <= kept.weight) kept = bettered;
    }
    this.lying.put(i, kept.spot);
  }

  /** Betters a place step by step: out of what it is deepest in, or a step aside, the steps growing when they help. */
  private better(i: number, from: Spot, goal: number): { spot: Spot; weight: number } {
    const { random, shapes } = this;
    const { push } = this.lying;
    const { width, height } = shapes[from.shape]!;
    let spot = from;
    let weight = Infinity;
    const tryAt = (x: Nm, y: Nm) => {
      const place = this.allowed(i, spot.stock, x, y, spot.shape);
      if (!place || (place[0] === spot.x && place[1] === spot.y)) return false;
      if (Math.abs(place[0] - from.x) > reach || Math.abs(place[1] - from.y) > reach) return false;
      const there = this.lying.weightAmong(i, place[0], place[1], spot.shape, weight);
      if (there >= weight * (1 - LEAST_GAIN)) return false;
      spot = { ...spot, x: place[0], y: place[1] };
      weight = there;
      return true;
    };
    let step = Math.min(width, height) / 4;
    const least = Math.min(width, height) / 500;
    const reach = 3 * step;
    this.lying.gather(i, spot.stock, spot.x - reach, spot.y - reach, spot.x + width + reach, spot.y + height + reach);
    weight = this.lying.weightAmong(i, spot.x, spot.y, spot.shape, Infinity);
    let [pushX, pushY] = push;
    for (let tries = 0; tries < TRIES && step > least && weight > FREE; tries++) {
      // Far from as good as another place: not worth more steps.
      if (step < Math.min(width, height) / 20 && weight > 3 * goal) break;
      const axis = random.below(3);
      const [dx, dy] = axis === 0 ? [step, 0] : axis === 1 ? [0, step] : [step, random.next() < 0.5 ? step : -step];
      const isBetter =
        tryAt(spot.x + pushX, spot.y + pushY) || tryAt(spot.x + dx, spot.y + dy) || tryAt(spot.x - dx, spot.y - dy);
      if (isBetter) [pushX, pushY] = push;
      else [pushX, pushY, step] = [0, 0, step * 0.5];
    }
    return { spot, weight };
  }

  /** Moves a whole match group to another phase when its members then weigh less. Returns about how many moves it took. */
  private moveGroup(): number {
    const { random, members, job } = this;
    const lattice = job.lattice!;
    const g = random.below(members.length);
    const some = members[g]!;
    const before = this.groups.phases[g]!;
    const old = some.map((i) => this.spots[i]!);
    const total = () =>
      some.reduce((sum, i) => {
        const { stock, x, y, shape } = this.spots[i]!;
        return sum + this.lying.weightOf(i, stock, x, y, shape, Infinity);
      }, 0);
    let best = { weight: total(), phase: before, spots: old };
    for (let tries = 0; tries < PHASES_TRIED; tries++) {
      const near = random.next() < 0.5 ? 0.1 : 1;
      const dx = Math.round((random.next() - 0.5) * near * lattice.across);
      const dy = Math.round((random.next() - 0.5) * near * lattice.along);
      const phase = phaseOf(before[0] + dx, before[1] + dy, lattice);
      this.groups.phases[g] = phase;
      const spots = some.map((i, k): Spot | null => {
        const place = this.allowed(i, old[k]!.stock, old[k]!.x + dx, old[k]!.y + dy, old[k]!.shape);
        return place && { ...old[k]!, x: place[0], y: place[1] };
      });
      if (spots.some((spot) => spot === null)) continue;
      some.forEach((i, k) => this.lying.put(i, spots[k]!));
      const weight = total();
      if (weight < best.weight) best = { weight, phase, spots: spots as Spot[] };
    }
    this.groups.phases[g] = best.phase;
    some.forEach((i, k) => this.lying.put(i, best.spots[k]!));
    return Math.ceil((some.length * PHASES_TRIED) / 80);
  }

  /** Weighs anew what lies in each other, and keeps the best state. */
  private keepBest() {
    const depth = this.lying.reweigh();
    this.stale++;
    if (this.best && depth >= this.best.depth) return;
    if (!this.best || depth < this.best.depth * 0.98) this.stale = 0;
    this.best = { depth, spots: this.spots.slice(), phases: [...this.groups.phases] };
  }
}

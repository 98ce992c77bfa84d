import type { Nm } from '../../../length';
import type { NoFitPolygons, Shape } from '../../geometry/no-fit-polygons';
import type { ShapeSet, Spot } from '../../geometry/shapes';

/** Parts lie free of each other when none is deeper in another than this (nm): the format compares to 2540 nm. */
export const FREE = 800;
/** How the weight of two parts that overlap grows after a sweep, and fades when they don't. */
const LEAST_GROWTH = 1.2;
const MOST_GROWTH = 2;
const FADING = 0.95;

/**
 * Where parts and flaws lie while they may lie in each other, and how much each pair that does weighs: how deep the one is in the other,
 * times a weight that grows as long as they stay so.
 */
export class WeighedSpots {
  /** Where everything lies: first the `n` parts, then what lies on the cloth for good. */
  readonly spots: Spot[];
  /** The same for quick looking: corners, lengths and shapes by number. */
  readonly X: Float64Array;
  readonly Y: Float64Array;
  readonly on: Int32Array;
  readonly shapeOf: Int32Array;
  /** The way (nm) out of what a part was deepest in, when it was weighed last. */
  readonly push: [Nm, Nm] = [0, 0];
  private readonly right: Float64Array;
  private readonly top: Float64Array;
  private readonly near: Int32Array;
  private nearCount = 0;
  private readonly shapes: readonly Shape[];
  private readonly clearances: NoFitPolygons;
  private readonly weights: Float32Array;

  constructor(
    private readonly n: number,
    { shapes, ways, fixed, clearances }: ShapeSet,
    private readonly gap: Nm,
  ) {
    this.shapes = shapes;
    this.clearances = clearances;
    this.spots = [...Array.from({ length: n }, (_, i) => ({ stock: 0, x: 0, y: 0, shape: ways[i]![0]! })), ...fixed];
    const count = this.spots.length;
    this.weights = new Float32Array(count * n).fill(1);
    this.X = new Float64Array(count);
    this.Y = new Float64Array(count);
    this.right = new Float64Array(count);
    this.top = new Float64Array(count);
    this.on = new Int32Array(count);
    this.shapeOf = new Int32Array(count);
    this.near = new Int32Array(count);
    this.spots.forEach((spot, i) => this.put(i, spot));
  }

  /** All pairs weigh alike again. */
  forget() {
    this.weights.fill(1);
  }

  /** Lays a part or flaw somewhere. */
  put(i: number, spot: Spot) {
    const { width, height } = this.shapes[spot.shape]!;
    this.spots[i] = spot;
    this.X[i] = spot.x;
    this.Y[i] = spot.y;
    this.right[i] = spot.x + width;
    this.top[i] = spot.y + height;
    this.on[i] = spot.stock;
    this.shapeOf[i] = spot.shape;
  }

  /** Tells whether a part lies in another one, or in what lies for good. */
  overlaps(i: number): boolean {
    const { stock, x, y, shape } = this.spots[i]!;
    return this.weightOf(i, stock, x, y, shape, FREE) > FREE;
  }

  /** Gathers the parts and flaws that reach into a box, but part i itself. */
  gather(i: number, stock: number, x0: Nm, y0: Nm, x1: Nm, y1: Nm) {
    const { X, Y, right, top, on, near, gap } = this;
    const [low, high, left, far] = [y0 - gap, y1 + gap, x0 - gap, x1 + gap];
    let count = 0;
    // Most lie elsewhere along the cloth.
    for (let j = 0; j < X.length; j++) {
      if (top[j]! <= low || Y[j]! >= high || right[j]! <= left || X[j]! >= far) continue;
      if (on[j] === stock && j !== i) near[count++] = j;
    }
    this.nearCount = count;
  }

  /**
   * Weight of part i at a place among those that were gathered: how deep it lies in each, by their weights; stops
   * above `limit`. The way out of the one it is deepest in is in `push` afterwards.
   */
  weightAmong(i: number, x: Nm, y: Nm, shape: number, limit: number): number {
    const { X, Y, right, top, near, nearCount, weights, clearances, shapeOf, push, gap } = this;
    const { width, height } = this.shapes[shape]!;
    const [right0, top0, left0, low0] = [x + width + gap, y + height + gap, x - gap, y - gap];
    const row = i * X.length;
    let sum = 0;
    let most = 0;
    for (let k = 0; k < nearCount; k++) {
      const j = near[k]!;
      if (X[j]! >= right0 || Y[j]! >= top0 || right[j]! <= left0 || top[j]! <= low0) continue;
      const depth = clearances.depth(shapeOf[j]!, shape, x - X[j]!, y - Y[j]!);
      if (depth <= FREE) continue;
      const weight = depth * weights[row + j]!;
      sum += weight;
      if (sum > limit) return sum;
      if (weight <= most) continue;
      most = weight;
      push[0] = clearances.out[0] * (depth + 2);
      push[1] = clearances.out[1] * (depth + 2);
    }
    if (most === 0) push[0] = push[1] = 0;
    return sum;
  }

  weightOf(i: number, stock: number, x: Nm, y: Nm, shape: number, limit: number): number {
    const { width, height } = this.shapes[shape]!;
    this.gather(i, stock, x, y, x + width, y + height);
    return this.weightAmong(i, x, y, shape, limit);
  }

  /** Raises the weights of parts that lie in each other, and lowers the rest. Returns how deep the parts lie in each other, all together. */
  reweigh(): Nm {
    const { X, Y, right, top, on, shapeOf, weights, clearances, n, gap } = this;
    const count = X.length;
    const pairs: [number, number, number][] = [];
    let [sum, most] = [0, 0];
    for (let i = 0; i < weights.length; i++) if (weights[i]! > 1) weights[i] = Math.max(1, weights[i]! * FADING);
    for (let i = 0; i < n; i++) {
      const [right0, top0, left0, low0] = [right[i]! + gap, top[i]! + gap, X[i]! - gap, Y[i]! - gap];
      for (let j = i + 1; j < count; j++) {
        if (X[j]! >= right0 || Y[j]! >= top0 || right[j]! <= left0 || top[j]! <= low0 || on[i] !== on[j]) continue;
        const depth = clearances.depth(shapeOf[j]!, shapeOf[i]!, X[i]! - X[j]!, Y[i]! - Y[j]!);
        if (depth <= FREE) continue;
        pairs.push([i, j, depth]);
        sum += depth;
        most = Math.max(most, depth);
      }
    }
    for (const [i, j, depth] of pairs) {
      const grown = (weights[i * count + j]! / FADING) * (LEAST_GROWTH + ((MOST_GROWTH - LEAST_GROWTH) * depth) / most);
      weights[i * count + j] = grown;
      if (j < n) weights[j * count + i] = grown;
    }
    return sum;
  }
}

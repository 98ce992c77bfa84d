import type { Nm } from '../length';
import type { BestFit, Way } from './best-fit';
import type { Random } from './random';

const FINEST = 20_000;

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/**
 * A depth-first search for a lay that is no longer than a target: the lowest gap of the skyline is filled from its
 * left with one part after another, or levelled; what is levelled counts as waste, and a branch ends when the waste is
 * more than the target leaves (width * target - area). Complete for skyline lays when it is let run, and quick where
 * little waste is left; kinds are tried in a random order that prefers good fits.
 */
export class TightSearch {
  private readonly kinds: readonly (readonly Way[])[];
  private readonly counts: Int32Array;
  private readonly segX: Nm[] = [];
  private readonly segW: Nm[] = [];
  private readonly segY: Nm[] = [];
  private readonly placed: { kind: number; way: Way; x: Nm; y: Nm }[] = [];
  private readonly weights: Float64Array;
  private nodes = 0;
  /** For each width in steps of `step`: the widest sum of parts' sides that fits it; null on too fine a grid. */
  private readonly widest: Int32Array | null;
  private readonly step: Nm;
  private readonly lowest: Nm;

  constructor(
    private readonly fit: BestFit,
    private readonly random: Random,
  ) {
    this.kinds = fit.ways;
    this.counts = Int32Array.from(fit.members, (one) => one.length);
    this.weights = new Float64Array(fit.members.length);
    const sides = this.kinds.flatMap((ways) => ways.flatMap(({ w, h }) => [w, h]));
    this.step = [fit.width, ...sides].reduce(greatestCommon);
    this.lowest = Math.min(...sides);
    this.widest = this.fillable();
  }

  /** Which widths can be filled by parts side by side, each used at most as often as it is there (subset sums). */
  private fillable(): Int32Array | null {
    const n = this.fit.width / this.step;
    if (n > FINEST) return null;
    const reached = new Uint8Array(n + 1);
    reached[0] = 1;
    this.kinds.forEach((ways, k) => {
      for (let copy = 0; copy < this.counts[k]! && copy * ways[0]!.w <= this.fit.width; copy++) {
        for (let u = n; u > 0; u--) {
          if (!reached[u] && ways.some(({ w }) => u * this.step >= w && reached[u - w / this.step])) reached[u] = 1;
        }
      }
    });
    const widest = new Int32Array(n + 1);
    for (let u = 1; u <= n; u++) widest[u] = reached[u] ? u : widest[u - 1]!;
    return widest;
  }

  /** Looks for a lay of at most `target` nm within `limit` nodes; fills x, y and turned by part and returns true when found. */
  run(target: Nm, limit: number, x: Float64Array, y: Float64Array, turned: Uint8Array): boolean {
    const { fit } = this;
    const area = fit.members.reduce((sum, one, k) => sum + one.length * this.kinds[k]![0]!.w * this.kinds[k]![0]!.h, 0);
    const height = target + fit.gap;
    const waste = fit.width * height - area;
    // A hair below zero is rounding: areas pass 2^53.
    if (waste < -1e-9 * area) return false;
    this.segX.splice(0, this.segX.length, 0);
    this.segW.splice(0, this.segW.length, fit.width);
    this.segY.splice(0, this.segY.length, 0);
    this.placed.length = 0;
    fit.members.forEach((one, k) => {
      this.counts[k] = one.length;
      const { w, h } = this.kinds[k]![0]!;
      this.weights[k] = w * h * (0.4 + this.random.next());
    });
    this.nodes = limit;
    const parts = fit.members.reduce((sum, one) => sum + one.length, 0);
    if (!this.descend(parts, height, Math.max(0, waste) + 1e-9 * area)) return false;
    const next = fit.members.map(() => 0);
    for (const { kind, way, x: px, y: py } of this.placed) {
      const part = fit.members[kind]![next[kind]!++]!;
      x[part] = fit.left + px;
      y[part] = py;
      turned[part] = way.turned;
    }
    return true;
  }

  private descend(left: number, height: Nm, waste: number): boolean {
    if (left === 0) return true;
    if (--this.nodes < 0) return false;
    const { segX, segW, segY, counts } = this;
    let s = 0;
    for (let i = 1; i < segY.length; i++) if (segY[i]! < segY[s]!) s = i;
    const [x, width, y] = [segX[s]!, segW[s]!, segY[s]!];
    const leftWall = s > 0 ? segY[s - 1]! - y : Infinity;
    const rightWall = s < segY.length - 1 ? segY[s + 1]! - y : Infinity;
    const options: { kind: number; way: Way; rank: number }[] = [];
    let narrowest = Infinity;
    for (let kind = 0; kind < counts.length; kind++) {
      if (counts[kind] === 0) continue;
      for (const way of this.kinds[kind]!) {
        if (way.w < narrowest) narrowest = way.w;
        if (way.w > width || y + way.h > height) continue;
        const rest = width - way.w;
        const score = rest === 0 ? (way.h === leftWall || way.h === rightWall ? 8 : 3) : way.h === leftWall ? 2 : 1;
        options.push({ kind, way, rank: score * this.weights[kind]! });
      }
    }
    options.sort((a, b) => b.rank - a.rank);
    for (const { kind, way } of options) {
      const rest = width - way.w;
      // A sliver that no waiting part can fill is waste at once, up to the lower of its walls.
      if (rest > 0 && rest < narrowest && rest * Math.min(way.h, rightWall) > waste) continue;
      // Of a gap that no row of parts fills, what stays open is waste at least as high as the lowest part.
      if (
        rest > 0 &&
        this.widest &&
        (rest - this.widest[rest / this.step]! * this.step) * Math.min(this.lowest, way.h, rightWall) > waste
      )
        continue;
      counts[kind]!--;
      this.placed.push({ kind, way, x, y });
      const undo = this.put(s, way.w, y + way.h);
      if (this.descend(left - 1, height, waste)) return true;
      undo();
      this.placed.pop();
      counts[kind]!++;
      if (this.nodes < 0) return false;
    }
    const rise = Math.min(leftWall, rightWall, height - y);
    const cost = width * rise;
    if (rise === Infinity || cost > waste) return false;
    if (y + rise >= height) return false;
    const undo = this.put(s, width, y + rise);
    if (this.descend(left, height, waste - cost)) return true;
    undo();
    return false;
  }

  /** Raises the first `w` of a segment to `top`, joins equal neighbours, and returns the way back. */
  private put(s: number, w: Nm, top: Nm): () => void {
    const { segX, segW, segY } = this;
    const saved = [segX.slice(), segW.slice(), segY.slice()] as const;
    const width = segW[s]!;
    if (w === width) segY[s] = top;
    else {
      segX.splice(s, 1, segX[s]!, segX[s]! + w);
      segW.splice(s, 1, w, width - w);
      segY.splice(s, 1, top, segY[s]!);
    }
    for (let i = Math.min(s + 1, segY.length - 1); i >= Math.max(1, s); i--) {
      if (segY[i] !== segY[i - 1]) continue;
      segW[i - 1]! += segW[i]!;
      segX.splice(i, 1);
      segW.splice(i, 1);
      segY.splice(i, 1);
    }
    return () => {
      segX.splice(0, segX.length, ...saved[0]);
      segW.splice(0, segW.length, ...saved[1]);
      segY.splice(0, segY.length, ...saved[2]);
    };
  }
}

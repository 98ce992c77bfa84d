import { makeCCW, quickDecomp } from 'poly-decomp-es';
import type { Nm } from '../../length';
import { doubleArea, type Point } from '../model/outline';

/** A shape as convex parts, each counter-clockwise, its box's lower left corner at [0, 0]. */
export interface Shape {
  width: Nm;
  height: Nm;
  parts: readonly (readonly Point[])[];
  /** The outline, counter-clockwise. */
  ring: readonly Point[];
  /** False for a flaw: parts may touch it, whatever gap they keep from each other. */
  keepsGap: boolean;
}

export const boxShape = (width: Nm, height: Nm, keepsGap = true): Shape => ({
  width,
  height,
  parts: [boxRing(width, height)],
  ring: boxRing(width, height),
  keepsGap,
});

const boxRing = (w: Nm, h: Nm): Point[] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];

/** A simple outline as a shape: cut into convex parts (Bayazit's decomposition), or its box where that fails. */
export function ringShape(ring: readonly Point[], width: Nm, height: Nm): Shape {
  // Around 1, so that the library's own tolerances mean little.
  const scale = Math.max(width, height);
  const scaled = ring.map(([x, y]): Point => [x / scale, y / scale]);
  makeCCW(scaled);
  const parts = quickDecomp(scaled).map((part) => part.map(([x, y]): Point => [x! * scale, y! * scale]));
  // A decomposition that leaves something out would let shapes overlap; one that is too large is only cautious.
  const area = Math.abs(doubleArea(ring));
  const covered = parts.reduce((sum, part) => sum + doubleArea(part), 0);
  return Math.abs(covered - area) <= 1e-6 * area && parts.every(isConvex)
    ? { width, height, parts, ring: doubleArea(ring) > 0 ? ring : [...ring].reverse(), keepsGap: true }
    : boxShape(width, height);
}

/** True when a counter-clockwise ring turns left, or goes straight on, at every corner. */
function isConvex(ring: readonly Point[]): boolean {
  const n = ring.length;
  return ring.every((b, i) => {
    const [a, c] = [ring[(i + n - 1) % n]!, ring[(i + 1) % n]!];
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
    return ux * vy - uy * vx >= -1e-9 * (Math.hypot(ux, uy) * Math.hypot(vx, vy));
  });
}

/** Numbers before the half-planes of a convex polygon: where it ends, and the half-plane that t lay beyond last time. */
const HEAD = 2;

/**
 * How deep shapes lie in each other, from the no-fit polygons of their convex parts: for a shape at the origin and another
 * at t they overlap exactly when t lies within one of these polygons, the Minkowski sums of a part and a mirrored part; how
 * far t is from that polygon's nearest edge is how far the one must move to be free of the other. Grown by the gap.
 */
export class NoFitPolygons {
  /**
   * For each pair of shapes its convex no-fit polygons one after another: where the next one begins, which half-plane t lay
   * beyond last time, and the half-planes n·t < d as nx, ny, d. Flat, since these are looked up more than all else.
   */
  private readonly known: (Float64Array | undefined)[];
  /** Where the deepest place found by `depth` can be left: its unit normal. */
  readonly out: [number, number] = [0, 0];

  constructor(
    private readonly shapes: readonly Shape[],
    private readonly gap: Nm,
  ) {
    this.known = new Array<Float64Array | undefined>(shapes.length ** 2);
  }

  /** How deep (nm) shape b at (dx, dy) lies in shape a at the origin; 0 when they are free of each other. */
  depth(a: number, b: number, dx: Nm, dy: Nm): Nm {
    const noFit = this.noFit(a, b);
    let deepest = 0;
    for (let start = 0, end = 0; start < noFit.length; start = end) {
      end = noFit[start]!;
      const last = noFit[start + 1]!;
      // Places that are tried lie near each other: what was beyond an edge mostly still is.
      if (noFit[last + 2]! - noFit[last]! * dx - noFit[last + 1]! * dy <= deepest) continue;
      let least = Infinity;
      let at = 0;
      for (let e = start + HEAD; e < end; e += 3) {
        const inside = noFit[e + 2]! - noFit[e]! * dx - noFit[e + 1]! * dy;
        if (inside >= least) continue;
        least = inside;
        at = e;
        if (least > deepest) continue;
        noFit[start + 1] = e;
        break;
      }
      if (least > deepest) {
        deepest = least;
        this.out[0] = noFit[at]!;
        this.out[1] = noFit[at + 1]!;
      }
    }
    return deepest;
  }

  /** Tells whether shape b at (dx, dy) lies deeper (nm) in shape a at the origin than that. */
  overlaps(a: number, b: number, dx: Nm, dy: Nm, deeper: Nm): boolean {
    const noFit = this.noFit(a, b);
    next: for (let start = 0, end = 0; start < noFit.length; start = end) {
      end = noFit[start]!;
      const last = noFit[start + 1]!;
      if (noFit[last + 2]! - noFit[last]! * dx - noFit[last + 1]! * dy <= deeper) continue;
      for (let e = start + HEAD; e < end; e += 3) {
        if (noFit[e + 2]! - noFit[e]! * dx - noFit[e + 1]! * dy > deeper) continue;
        noFit[start + 1] = e;
        continue next;
      }
      return true;
    }
    return false;
  }

  private readonly corners: (Float64Array | undefined)[] = [];

  /** Corners (x, y, x, y, … nm) of the no-fit polygons: places of shape b where it touches a corner or an edge's end of shape a. */
  cornersOf(a: number, b: number): Float64Array {
    return (this.corners[a * this.shapes.length + b] ??= cornersOf(this.noFit(a, b)));
  }

  private noFit(a: number, b: number): Float64Array {
    return (this.known[a * this.shapes.length + b] ??= this.minkowskiSums(a, b));
  }

  private minkowskiSums(a: number, b: number): Float64Array {
    const gap = this.shapes[a]!.keepsGap && this.shapes[b]!.keepsGap ? this.gap : 0;
    const [fixed, moving] = [this.sidesOf(a), this.sidesOf(b)];
    const sums = new Float64Array(
      fixed.reduce((sum, one) => sum + moving.reduce((most, other) => most + HEAD + 3 * (one.n + other.n), 0), 0),
    );
    let end = 0;
    for (const one of fixed) for (const other of moving) end = addSum(sums, end, one, other, gap);
    return sums.slice(0, end);
  }

  private readonly sides: (Sides[] | undefined)[] = [];

  private sidesOf(shape: number): Sides[] {
    return (this.sides[shape] ??= this.shapes[shape]!.parts.map(sidesOf));
  }
}

/** A convex ring by its edges, in ascending order of their angles from -pi to pi: where each begins, its normal, its angle. */
interface Sides {
  n: number;
  x: Float64Array;
  y: Float64Array;
  nx: Float64Array;
  ny: Float64Array;
  angle: Float64Array;
}

/**
 * The convex hull of a ring that is convex but for roundings, counter-clockwise and without corners where it goes straight on
 * (Andrew 1979, from memory): by a rounding an edge there could turn to the wrong side.
 */
function hullOf(ring: readonly Point[]): Point[] {
  const sorted = [...ring].sort(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const chain = (points: readonly Point[]) => {
    const kept: Point[] = [];
    for (const [x, y] of points) {
      for (; kept.length > 1; kept.pop()) {
        const [[ax, ay], [bx, by]] = kept.slice(-2) as [Point, Point];
        const [ux, uy, vx, vy] = [bx - ax, by - ay, x - bx, y - by];
        if (ux * vy - uy * vx > 1e-9 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) break;
      }
      kept.push([x, y]);
    }
    return kept.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.reverse())];
}

function sidesOf(ring: readonly Point[]): Sides {
  const corners = hullOf(ring);
  const edges = corners.map(([x, y], i) => {
    const [ex, ey] = corners[(i + 1) % corners.length]!;
    const [dx, dy] = [ex - x, ey - y];
    const length = Math.hypot(dx, dy);
    return { x, y, nx: dy / length, ny: -dx / length, angle: Math.atan2(dy, dx) };
  });
  const first = edges.reduce((least, { angle }, i) => (angle < edges[least]!.angle ? i : least), 0);
  edges.push(...edges.splice(0, first));
  const pick = (key: 'x' | 'y' | 'nx' | 'ny' | 'angle') => Float64Array.from(edges, (edge) => edge[key]);
  return { n: edges.length, x: pick('x'), y: pick('y'), nx: pick('nx'), ny: pick('ny'), angle: pick('angle') };
}

/** How far a ring's corners reach in a direction (x, y), beginning to look at one that was furthest in a direction near by. */
function furthest({ n, x, y }: Sides, from: number, dx: number, dy: number): number {
  let at = from;
  for (let steps = 0; steps < n; steps++) {
    const next = at + 1 < n ? at + 1 : 0;
    if ((x[next]! - x[at]!) * dx + (y[next]! - y[at]!) * dy < 0) break;
    at = next;
  }
  return at;
}

/**
 * Writes a convex ring's sum with another one mirrored, grown by the gap, at a place among such sums: where it ends, a
 * half-plane, and the half-planes, one for each direction of an edge, counter-clockwise. Returns where it ends.
 */
function addSum(sums: Float64Array, start: number, fixed: Sides, moving: Sides, gap: Nm): number {
  let end = start + HEAD;
  const add = (nx: number, ny: number, d: number) => {
    const isKnown =
      end > start + HEAD && Math.abs(sums[end - 3]! - nx) < 1e-12 && Math.abs(sums[end - 2]! - ny) < 1e-12;
    if (isKnown) {
      sums[end - 1] = Math.max(sums[end - 1]!, d);
      return;
    }
    sums[end] = nx;
    sums[end + 1] = ny;
    sums[end + 2] = d;
    end += 3;
  };
  // The mirrored ring's edges lead the other way: in ascending order they begin half a turn further on.
  let first = 0;
  while (first < moving.n && moving.angle[first]! <= 0) first++;
  let [i, j, own, against] = [0, 0, 0, first % moving.n];
  while (i < fixed.n || j < moving.n) {
    const k = (first + j) % moving.n;
    const turned = j < moving.n ? moving.angle[k]! + (moving.angle[k]! > 0 ? -Math.PI : Math.PI) : Infinity;
    const isOwn = i < fixed.n && fixed.angle[i]! <= turned;
    const [nx, ny] = isOwn ? [fixed.nx[i]!, fixed.ny[i]!] : [-moving.nx[k]!, -moving.ny[k]!];
    if (isOwn) i++;
    else j++;
    own = furthest(fixed, own, nx, ny);
    against = furthest(moving, against, -nx, -ny);
    add(nx, ny, nx * (fixed.x[own]! - moving.x[against]!) + ny * (fixed.y[own]! - moving.y[against]!) + gap);
  }
  sums[start] = end;
  sums[start + 1] = start + HEAD;
  return end;
}

/** The corners (x, y, x, y, …) of convex polygons whose half-planes follow each other counter-clockwise. */
function cornersOf(sums: Float64Array): Float64Array {
  const corners = new Float64Array(sums.length);
  let count = 0;
  for (let start = 0, end = 0; start < sums.length; start = end) {
    end = sums[start]!;
    for (let p = start + HEAD, q = end - 3; p < end; q = p, p += 3) {
      const cross = sums[q]! * sums[p + 1]! - sums[q + 1]! * sums[p]!;
      if (cross <= 1e-9) continue;
      corners[count++] = (sums[q + 2]! * sums[p + 1]! - sums[q + 1]! * sums[p + 2]!) / cross;
      corners[count++] = (sums[q]! * sums[p + 2]! - sums[q + 2]! * sums[p]!) / cross;
    }
  }
  return corners.slice(0, count);
}

import { makeCCW, quickDecomp } from 'poly-decomp-es';
import type { Nm } from '../length';
import { doubleArea, type Point } from './outline';

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

/** One convex no-fit polygon as half-planes n·t < d, flat as nx, ny, d; `last` is the one that t lay beyond last time. */
interface HalfPlanes {
  planes: Float64Array;
  last: number;
}

/**
 * How deep shapes lie in each other, from the no-fit polygons of their convex parts: for a shape at the origin and another
 * at t they overlap exactly when t lies within one of these polygons, the Minkowski sums of a part and a mirrored part; how
 * far t is from that polygon's nearest edge is how far the one must move to be free of the other. Grown by the gap.
 */
export class Clearances {
  private readonly known: (HalfPlanes[] | undefined)[];
  /** Where the deepest place found by `depth` can be left: its unit normal. */
  readonly out: [number, number] = [0, 0];

  constructor(
    private readonly shapes: readonly Shape[],
    private readonly gap: Nm,
  ) {
    this.known = new Array<HalfPlanes[] | undefined>(shapes.length ** 2);
  }

  /** How deep (nm) shape b at (dx, dy) lies in shape a at the origin; 0 when they are free of each other. */
  depth(a: number, b: number, dx: Nm, dy: Nm): Nm {
    const polygons = this.polygons(a, b);
    let deepest = 0;
    for (const polygon of polygons) {
      const { planes, last } = polygon;
      // Places that are tried lie near each other: what was beyond an edge mostly still is.
      if (planes[last + 2]! - planes[last]! * dx - planes[last + 1]! * dy <= deepest) continue;
      let least = Infinity;
      let at = 0;
      for (let e = 0; e < planes.length; e += 3) {
        const inside = planes[e + 2]! - planes[e]! * dx - planes[e + 1]! * dy;
        if (inside >= least) continue;
        least = inside;
        at = e;
        if (least > deepest) continue;
        polygon.last = e;
        break;
      }
      if (least > deepest) {
        deepest = least;
        this.out[0] = planes[at]!;
        this.out[1] = planes[at + 1]!;
      }
    }
    return deepest;
  }

  /** Whether shape b at (dx, dy) lies deeper (nm) in shape a at the origin than that. */
  overlaps(a: number, b: number, dx: Nm, dy: Nm, deeper: Nm): boolean {
    next: for (const polygon of this.polygons(a, b)) {
      const { planes, last } = polygon;
      if (planes[last + 2]! - planes[last]! * dx - planes[last + 1]! * dy <= deeper) continue;
      for (let e = 0; e < planes.length; e += 3) {
        if (planes[e + 2]! - planes[e]! * dx - planes[e + 1]! * dy > deeper) continue;
        polygon.last = e;
        continue next;
      }
      return true;
    }
    return false;
  }

  private readonly corners: (Float64Array | undefined)[] = [];

  /** Corners (x, y, x, y, … nm) of the no-fit polygons: places of shape b where it touches a corner or an edge's end of shape a. */
  cornersOf(a: number, b: number): Float64Array {
    return (this.corners[a * this.shapes.length + b] ??= Float64Array.from(
      this.polygons(a, b).flatMap(({ planes }) => cornersOf(planes)),
    ));
  }

  private polygons(a: number, b: number): HalfPlanes[] {
    return (this.known[a * this.shapes.length + b] ??= this.noFit(this.shapes[a]!, this.shapes[b]!));
  }

  private noFit(a: Shape, b: Shape): HalfPlanes[] {
    const gap = a.keepsGap && b.keepsGap ? this.gap : 0;
    return a.parts.flatMap((fixed) => b.parts.map((moving) => minkowski(fixed, moving, gap)));
  }
}

/** The half-planes of a convex ring's sum with another one mirrored, grown by the gap: one for each direction of an edge. */
function minkowski(fixed: readonly Point[], moving: readonly Point[], gap: Nm): HalfPlanes {
  const planes = new Float64Array(3 * (fixed.length + moving.length));
  let count = 0;
  const add = (ring: readonly Point[], other: readonly Point[], sign: 1 | -1) => {
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [dx, dy] = [ring[i]![0] - ring[j]![0], ring[i]![1] - ring[j]![1]];
      const length = Math.hypot(dx, dy);
      if (length === 0) continue;
      const [nx, ny] = [(sign * dy) / length, (-sign * dx) / length];
      let isKnown = false;
      for (let e = 0; e < count && !isKnown; e += 3)
        isKnown = Math.abs(planes[e]! - nx) < 1e-12 && Math.abs(planes[e + 1]! - ny) < 1e-12;
      if (isKnown) continue;
      // A very short edge may lie a little askew: then another corner of its ring lies further out.
      let own = -Infinity;
      for (const [x, y] of ring) own = Math.max(own, sign * (nx * x + ny * y));
      let against = Infinity;
      for (const [x, y] of other) against = Math.min(against, sign * (nx * x + ny * y));
      planes[count] = nx;
      planes[count + 1] = ny;
      planes[count + 2] = own - against + gap;
      count += 3;
    }
  };
  add(fixed, moving, 1);
  add(moving, fixed, -1);
  return { planes: planes.slice(0, count), last: 0 };
}

/** The corners (x, y, x, y, …) of a convex polygon that is given as half-planes nx, ny, d; counter-clockwise. */
function cornersOf(planes: Float64Array): number[] {
  const angle = (e: number) => Math.atan2(planes[e + 1]!, planes[e]!);
  const order = Array.from({ length: planes.length / 3 }, (_, k) => 3 * k).sort((p, q) => angle(p) - angle(q));
  return order.flatMap((p, k) => {
    const q = order[(k + 1) % order.length]!;
    const [ax, ay, ad] = [planes[p]!, planes[p + 1]!, planes[p + 2]!];
    const [bx, by, bd] = [planes[q]!, planes[q + 1]!, planes[q + 2]!];
    const cross = ax * by - ay * bx;
    return cross > 1e-9 ? [(ad * by - ay * bd) / cross, (ax * bd - ad * bx) / cross] : [];
  });
}

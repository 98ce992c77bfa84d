import { makeCCW, quickDecomp } from 'poly-decomp-es';
import type { Nm } from '../length';
import { doubleArea, type Point } from './outline';

/** A shape as convex parts, each counter-clockwise, its box's lower left corner at [0, 0]. */
export interface Shape {
  width: Nm;
  height: Nm;
  parts: readonly (readonly Point[])[];
  /** False for a flaw: parts may touch it, whatever gap they keep from each other. */
  keepsGap: boolean;
}

export const boxShape = (width: Nm, height: Nm, keepsGap = true): Shape => ({
  width,
  height,
  parts: [boxRing(width, height)],
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
    ? { width, height, parts, keepsGap: true }
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

/** The half-planes n·t < d, flat as nx, ny, d, that meet in one convex no-fit polygon. */
type HalfPlanes = Float64Array;

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
    const polygons = (this.known[a * this.shapes.length + b] ??= this.noFit(this.shapes[a]!, this.shapes[b]!));
    let deepest = 0;
    for (const planes of polygons) {
      let least = Infinity;
      let at = 0;
      for (let e = 0; e < planes.length; e += 3) {
        const inside = planes[e + 2]! - planes[e]! * dx - planes[e + 1]! * dy;
        if (inside >= least) continue;
        least = inside;
        at = e;
        if (least <= deepest) break;
      }
      if (least > deepest) {
        deepest = least;
        this.out[0] = planes[at]!;
        this.out[1] = planes[at + 1]!;
      }
    }
    return deepest;
  }

  private noFit(a: Shape, b: Shape): HalfPlanes[] {
    const gap = a.keepsGap && b.keepsGap ? this.gap : 0;
    return a.parts.flatMap((fixed) =>
      b.parts.map((moving) => {
        const planes: number[] = [];
        const add = (nx: number, ny: number) => {
          for (let e = 0; e < planes.length; e += 3)
            if (Math.abs(planes[e]! - nx) < 1e-12 && Math.abs(planes[e + 1]! - ny) < 1e-12) return;
          const far = Math.max(...fixed.map(([x, y]) => nx * x + ny * y));
          const near = Math.min(...moving.map(([x, y]) => nx * x + ny * y));
          planes.push(nx, ny, far - near + gap);
        };
        eachNormal(fixed, add);
        eachNormal(moving, (nx, ny) => add(-nx, -ny));
        return Float64Array.from(planes);
      }),
    );
  }
}

function eachNormal(ring: readonly Point[], tell: (nx: number, ny: number) => void) {
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [dx, dy] = [ring[i]![0] - ring[j]![0], ring[i]![1] - ring[j]![1]];
    const length = Math.hypot(dx, dy);
    if (length > 0) tell(dy / length, -dx / length);
  }
}

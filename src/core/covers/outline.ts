import ClipperLib from 'clipper-lib';
import type { Nm } from '../length';

export { isSimple } from '../lay/model/outline';

type Ring = [Nm, Nm][];

/** The width and height of a ring's box. */
export function boxSize(ring: Ring): [Nm, Nm] {
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
}

/** The length round a ring, to the nearest nanometre. */
export const perimeterOf = (ring: Ring): Nm =>
  Math.round(
    ring.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = ring[(i + 1) % ring.length]!;
      return sum + Math.hypot(nextX - x, nextY - y);
    }, 0),
  );

const MITRE_LIMIT = 3;

/**
 * A ring moved outward by a seam allowance (nm) on all sides, corners mitred. The offsetting is clipper-lib's.
 */
function grown(ring: Ring, allowance: Nm): Ring {
  const path = ring.map(([X, Y]) => ({ X, Y }));
  if (!ClipperLib.Clipper.Orientation(path)) path.reverse();
  const offset = new ClipperLib.ClipperOffset(MITRE_LIMIT);
  offset.AddPath(path, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  const found: { X: number; Y: number }[][] = [];
  offset.Execute(found, allowance);
  const outer = found.reduce((largest, one) =>
    ClipperLib.Clipper.Area(one) > ClipperLib.Clipper.Area(largest) ? one : largest,
  );
  return outer.map(({ X, Y }) => [X, Y]);
}

const lowerLeft = (ring: Ring): [Nm, Nm] => [Math.min(...ring.map(([x]) => x)), Math.min(...ring.map(([, y]) => y))];

/** A ring with a seam allowance (nm) all round, corners mitred, its box starting at [0, 0]. */
export function offsetOutline(ring: Ring, allowance: Nm): Ring {
  const wide = grown(ring, allowance);
  const [left, bottom] = lowerLeft(wide);
  return wide.map(([x, y]) => [x - left, y - bottom]);
}

/** How far the form's own box lies from the left and from below in the box of its outline with allowance: more than it at sharp corners. */
export function overhang(ring: Ring, allowance: Nm): [Nm, Nm] {
  const [[left, bottom], [outerLeft, outerBottom]] = [lowerLeft(ring), lowerLeft(grown(ring, allowance))];
  return [left - outerLeft, bottom - outerBottom];
}

/** How far a drawn arc may stray from the circle: 0.2 mm, less than a chalk line. */
const ARC_ERROR: Nm = 200_000;

/**
 * The corners that stand for part of a circle, from one angle to another in degrees. Counter-clockwise it bulges outward
 * and the corners lie just outside the circle, clockwise it cuts in and they lie on it: the cloth is never short.
 */
export function arcPoints([cx, cy]: [Nm, Nm], radius: Nm, from: number, to: number): Ring {
  const sweep = ((to - from) * Math.PI) / 180;
  const step = 2 * Math.acos(Math.max(0.5, 1 - ARC_ERROR / Math.max(radius, ARC_ERROR)));
  // A multiple of four keeps a whole disc's box at its diameter.
  const sides = Math.max(2, 4 * Math.ceil(Math.abs(sweep) / step / 4));
  const isOutward = sweep > 0;
  const isWhole = Math.abs(Math.abs(to - from) - 360) < 1e-9;
  const point = (angle: number, reach: number): [Nm, Nm] => [
    Math.round(cx + reach * Math.cos(angle)),
    Math.round(cy + reach * Math.sin(angle)),
  ];
  const start = (from * Math.PI) / 180;
  if (!isOutward) return Array.from({ length: sides - 1 }, (_, i) => point(start + (sweep * (i + 1)) / sides, radius));
  // Tangents at the middle of each side: the polygon touches the circle from outside.
  const reach = radius / Math.cos(sweep / sides / 2);
  return Array.from({ length: sides }, (_, i) => {
    const [x, y] = point(start + (sweep * (i + 0.5)) / sides, reach);
    return isWhole ? ([clip(x, cx, radius), clip(y, cy, radius)] as [Nm, Nm]) : [x, y];
  });
}

const clip = (value: Nm, centre: Nm, radius: Nm): Nm =>
  Math.min(centre + Math.round(radius), Math.max(centre - Math.round(radius), value));

/** The part of a ring between two uprights, its box starting at [0, 0]; null when nothing of it lies there. */
export function sliceOutline(ring: Ring, from: Nm, to: Nm): Ring | null {
  const [, height] = boxSize(ring);
  const slab = [
    { X: from, Y: 0 },
    { X: to, Y: 0 },
    { X: to, Y: height },
    { X: from, Y: height },
  ];
  const clipper = new ClipperLib.Clipper();
  clipper.AddPath(
    ring.map(([X, Y]) => ({ X, Y })),
    ClipperLib.PolyType.ptSubject,
    true,
  );
  clipper.AddPath(slab, ClipperLib.PolyType.ptClip, true);
  const found: { X: number; Y: number }[][] = [];
  clipper.Execute(ClipperLib.ClipType.ctIntersection, found);
  if (found.length === 0) return null;
  const largest = found.reduce((a, b) =>
    Math.abs(ClipperLib.Clipper.Area(b)) > Math.abs(ClipperLib.Clipper.Area(a)) ? b : a,
  );
  const [left, bottom] = [Math.min(...largest.map(({ X }) => X)), Math.min(...largest.map(({ Y }) => Y))];
  return largest.map(({ X, Y }) => [X - left, Y - bottom]);
}

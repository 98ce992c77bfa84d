import ClipperLib from 'clipper-lib';
import type { Nm } from '../length';

export { isSimple } from '../lay/outline';

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
 * A ring moved outward by a seam allowance (nm) on all sides, corners mitred, its box starting at [0, 0].
 * The offsetting is clipper-lib's.
 */
export function offsetOutline(ring: Ring, allowance: Nm): Ring {
  const path = ring.map(([X, Y]) => ({ X, Y }));
  if (!ClipperLib.Clipper.Orientation(path)) path.reverse();
  const offset = new ClipperLib.ClipperOffset(MITRE_LIMIT);
  offset.AddPath(path, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  const found: { X: number; Y: number }[][] = [];
  offset.Execute(found, allowance);
  const outer = found.reduce((largest, one) =>
    ClipperLib.Clipper.Area(one) > ClipperLib.Clipper.Area(largest) ? one : largest,
  );
  const [left, bottom] = [Math.min(...outer.map(({ X }) => X)), Math.min(...outer.map(({ Y }) => Y))];
  return outer.map(({ X, Y }) => [X - left, Y - bottom]);
}

import type { Nm } from '../../length';
import type { Point } from '../model/outline';

/**
 * How far apart two convex rings lie along the axis that separates them most: negative by how deep they lie in each other
 * (separating axis theorem; the axes are the normals of all edges). Both run counter-clockwise.
 */
export function separationOf(one: readonly Point[], other: readonly Point[]): Nm {
  return Math.max(widest(one, other), widest(other, one));
}

function widest(ring: readonly Point[], other: readonly Point[]): number {
  let most = -Infinity;
  for (let i = 0; i < ring.length; i++) {
    const [x0, y0] = ring[i]!;
    const [x1, y1] = ring[(i + 1) % ring.length]!;
    const [nx, ny] = [y1 - y0, x0 - x1];
    const size = Math.hypot(nx, ny);
    if (size === 0) continue;
    let least = Infinity;
    for (const [x, y] of other) least = Math.min(least, (x - x0) * nx + (y - y0) * ny);
    most = Math.max(most, least / size);
  }
  return most;
}

/** The distance (nm) of two rings that do not cross: from the corners of each to the edges of the other. */
export const ringDistance = (one: readonly Point[], other: readonly Point[]): Nm =>
  Math.min(nearest(one, other), nearest(other, one));

function nearest(corners: readonly Point[], ring: readonly Point[]): number {
  let least = Infinity;
  for (const [px, py] of corners)
    for (let i = 0; i < ring.length; i++) {
      const [x0, y0] = ring[i]!;
      const [dx, dy] = [ring[(i + 1) % ring.length]![0] - x0, ring[(i + 1) % ring.length]![1] - y0];
      const long = dx * dx + dy * dy;
      const t = long === 0 ? 0 : Math.max(0, Math.min(1, ((px - x0) * dx + (py - y0) * dy) / long));
      least = Math.min(least, Math.hypot(px - x0 - t * dx, py - y0 - t * dy));
    }
  return least;
}

/**
 * How far (nm) a ring reaches out of a simple outline that runs counter-clockwise: the furthest of its corners outside, or of the
 * outline's corners inside it; 0 when it lies within.
 */
export function reachOutside(ring: readonly Point[], outline: readonly Point[]): Nm {
  const out = (point: Point, of: readonly Point[]) => (isInside(point, of) ? 0 : nearest([point], of));
  const inside = (point: Point, of: readonly Point[]) => (isInside(point, of) ? nearest([point], of) : 0);
  let most = 0;
  for (const point of ring) most = Math.max(most, out(point, outline));
  for (const point of outline) most = Math.max(most, inside(point, ring));
  return most;
}

/** Tells whether a point lies in a ring (even-odd rule). */
function isInside([px, py]: Point, ring: readonly Point[]): boolean {
  let is = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [x0, y0] = ring[i]!;
    const [x1, y1] = ring[j]!;
    if (y0 > py !== y1 > py && px < ((x1 - x0) * (py - y0)) / (y1 - y0) + x0) is = !is;
  }
  return is;
}

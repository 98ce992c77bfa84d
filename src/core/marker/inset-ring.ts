import ClipperLib from 'clipper-lib';
import type { Point } from '../lay';
import type { Nm } from '../length';

/** Sharper corners than this (the length of the mitre in allowances) are cut off, as a seam is at its corner. */
const MITRE_LIMIT = 10;

/**
 * A ring moved in by `by` (nm) on all sides: where it is sewn. The offsetting is clipper-lib's. Null where nothing of it is left; where it
 * falls apart, the largest part.
 */
export function insetRing(ring: readonly Point[], by: Nm): Point[] | null {
  const path = ring.map(([X, Y]) => ({ X, Y }));
  if (!ClipperLib.Clipper.Orientation(path)) path.reverse();
  const offset = new ClipperLib.ClipperOffset(MITRE_LIMIT);
  offset.AddPath(path, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  const found: { X: number; Y: number }[][] = [];
  offset.Execute(found, -by);
  const [largest] = found.sort((a, b) => ClipperLib.Clipper.Area(b) - ClipperLib.Clipper.Area(a));
  return largest ? largest.map(({ X, Y }): Point => [X, Y]) : null;
}

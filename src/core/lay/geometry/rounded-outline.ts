import ClipperLib from 'clipper-lib';
import simplify from 'simplify-js';
import { NM, type Nm } from '../../length';
import type { Point } from '../model/outline';

/** An outline with more corners than that is searched with a simpler one around it. */
const MANY_CORNERS = 32;
/** How far (nm) the simpler outline may lie outside the true one: half a millimetre, less than a pencil line at the cut. */
const OUT: Nm = NM.mm / 2;
/** For overlap minimisation, which weighs every corner against every other, it has so many corners at most ... */
const MOST_CORNERS = 32;
/** ... but lies no further outside than that share of the shorter side of its box. */
const MOST_OUT = 1 / 16;
/** Unit of the clipping: whole micrometres, so that it can do without long numbers. */
const CLIP = 1_000;

interface At {
  X: number;
  Y: number;
}

/**
 * A simpler outline around a simple one, for the search alone: it covers the true outline, lies nowhere further than
 * `out` nm from it, and has the same box. It is offset outward by half of that (polygon offsetting, clipper-lib), simplified
 * by no more than the other half (Douglas and Peucker, simplify-js), and cut to the box. Outlines of few corners, and those
 * for which it does not come out so, stay as they are. The box of `ring` starts at [0, 0].
 */
export function roundedOut(ring: readonly Point[], width: Nm, height: Nm, out: Nm = OUT): readonly Point[] {
  if (ring.length <= MANY_CORNERS) return ring;
  const half = out / CLIP / 2;
  const exact = ring.map(([x, y]): At => ({ X: Math.round(x / CLIP), Y: Math.round(y / CLIP) }));
  if (!ClipperLib.Clipper.Orientation(exact)) exact.reverse();
  const grown: At[][] = [];
  const offset = new ClipperLib.ClipperOffset(2, half / 10);
  offset.AddPath(exact, ClipperLib.JoinType.jtRound, ClipperLib.EndType.etClosedPolygon);
  offset.Execute(grown, half);
  const outer = grown.reduce((most, one) => (areaOf(one) > areaOf(most) ? one : most), []);
  // A little less than the half, for what the whole micrometres round.
  const fewer = simplify(
    [...outer, outer[0]!].map(({ X, Y }) => ({ x: X, y: Y })),
    half - 4,
    true,
  ).slice(0, -1);
  const box = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ].map(([x, y]): At => ({ X: x! / CLIP, Y: y! / CLIP }));
  const [cut, ...more] = clipped(
    fewer.map(({ x, y }) => ({ X: x, Y: y })),
    box,
    ClipperLib.ClipType.ctIntersection,
  );
  if (!cut || more.length > 0 || cut.length >= ring.length) return ring;
  if (clipped(exact, cut, ClipperLib.ClipType.ctDifference).reduce((sum, one) => sum + areaOf(one), 0) > 0) return ring;
  return cut.map(({ X, Y }): Point => [Math.min(width, X * CLIP), Math.min(height, Y * CLIP)]);
}

/** The nearest such outline with few enough corners, or with the fewest that may be. */
export function coarseOutline(ring: readonly Point[], width: Nm, height: Nm): readonly Point[] {
  const most = MOST_OUT * Math.min(width, height);
  let coarse = ring;
  for (let out = most / 4; coarse.length > MOST_CORNERS && out <= most; out *= 2) {
    const next = roundedOut(ring, width, height, out);
    if (next.length < coarse.length) coarse = next;
  }
  return coarse;
}

const areaOf = (path: At[]): number => Math.abs(ClipperLib.Clipper.Area(path));

function clipped(subject: At[], clip: At[], type: number): At[][] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPath(subject, ClipperLib.PolyType.ptSubject, true);
  clipper.AddPath(
    clip.map(({ X, Y }) => ({ X: Math.ceil(X), Y: Math.ceil(Y) })),
    ClipperLib.PolyType.ptClip,
    true,
  );
  const solution: At[][] = [];
  clipper.Execute(type, solution);
  return solution;
}

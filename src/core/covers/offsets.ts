import { refuse, ok, type Result } from '../result';
import type { Nm } from '../length';

type Ring = [Nm, Nm][];

/** One reading along the centre line (nm): how far the edge lies to the left and to the right of it. */
export interface Station {
  at: Nm;
  left: Nm;
  right: Nm;
  /** The edge turns sharply here: a smooth curve ends, and the next one begins. */
  isCorner: boolean;
}

/** How far a drawn curve may stray from the true one: 0.2 mm, less than a chalk line. */
const CURVE_ERROR: Nm = 200_000;
const MOST_STATIONS = 100;
/** Limits of an order. */
const MOST_CORNERS = 500;

/**
 * The slopes' changes (second derivatives) of the natural cubic spline through points whose x rises: the shape of a thin
 * batten bent through them. Solved as any textbook has it (Burden and Faires, Numerical Analysis, section 3.5).
 */
function bendsOf(points: Ring): number[] {
  const n = points.length - 1;
  const gap = (i: number) => points[i + 1]![0] - points[i]![0];
  const slope = (i: number) => (points[i + 1]![1] - points[i]![1]) / gap(i);
  const bends = Array<number>(n + 1).fill(0);
  const [upper, known] = [Array<number>(n + 1).fill(0), Array<number>(n + 1).fill(0)];
  for (let i = 1; i < n; i++) {
    const pivot = 2 * (gap(i - 1) + gap(i)) - gap(i - 1) * upper[i - 1]!;
    upper[i] = gap(i) / pivot;
    known[i] = (6 * (slope(i) - slope(i - 1)) - gap(i - 1) * known[i - 1]!) / pivot;
  }
  for (let i = n - 1; i > 0; i--) bends[i] = known[i]! - upper[i]! * bends[i + 1]!;
  return bends;
}

/** The natural cubic spline through points (x rising), as points on it no further than `error` (nm) from it between them. */
export function batten(points: Ring, error: Nm): Ring {
  const bends = bendsOf(points);
  return points.flatMap(([x, y], i): Ring => {
    const next = points[i + 1];
    if (!next) return [[x, y]];
    const h = next[0] - x;
    const [from, to] = [bends[i]!, bends[i + 1]!];
    // A chord of a curve is off by at most step^2 * bend / 8, and between two stations the bend changes evenly.
    const parts = Math.max(1, Math.ceil(h * Math.sqrt(Math.max(Math.abs(from), Math.abs(to)) / (8 * error))));
    const slope = (next[1] - y) / h - (h * (2 * from + to)) / 6;
    return Array.from({ length: parts }, (_, part) => {
      const t = (h * part) / parts;
      return [Math.round(x + t), Math.round(y + t * (slope + t * (from / 2 + (t * (to - from)) / (6 * h))))];
    });
  });
}

/** One edge from the first station to the last: [along the line, away from it]. */
function edge(stations: readonly Station[], side: 'left' | 'right', isSmooth: boolean, error: Nm): Ring {
  const points = stations.map((station): [Nm, Nm] => [station.at, station[side]]);
  if (!isSmooth) return points;
  const ends = stations.flatMap(({ isCorner }, i) => (i > 0 && (isCorner || i === points.length - 1) ? [i] : []));
  return ends.flatMap((end, i) => {
    const curve = batten(points.slice(ends[i - 1] ?? 0, end + 1), error);
    return i === 0 ? curve : curve.slice(1);
  });
}

const lengthOf = (line: Ring) =>
  Math.round(line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0));

export interface OffsetShape {
  /** Counter-clockwise, its box starting at [0, 0]: x across the centre line, y along it. */
  ring: Ring;
  /** How long each edge is from the first station to the last (nm): to be checked with the tape. */
  left: Nm;
  right: Nm;
}

/**
 * The form whose edges lie at the stations' distances on both sides of a straight centre line, its ends cut square: a
 * batten's curve between stations, or straight lines. Refused: fewer than two stations, stations out of order, and a
 * form that is nothing wide between its ends. Common practice of measuring curved seats and berths, no source.
 */
export function outlineFromOffsets(stations: readonly Station[], isSmooth: boolean): Result<OffsetShape> {
  const refused = (message: string) => refuse('outline', 'outline', message);
  if (stations.length < 2 || stations.length > MOST_STATIONS)
    return refused(`Offsets have 2 to ${MOST_STATIONS} stations, from one end of the centre line to the other.`);
  for (const [i, { at, left, right }] of stations.entries()) {
    if (i > 0 && at <= stations[i - 1]!.at)
      return refused(`Station ${i + 1} does not lie further along the centre line than the one before it.`);
    if (left < 0 || right < 0)
      return refused(
        `Station ${i + 1}: stretch the centre line so that it lies inside the form; distances are not negative.`,
      );
    if (left + right === 0 && i > 0 && i < stations.length - 1)
      return refused(`Station ${i + 1} is nothing wide; only the first and the last may come to a point.`);
  }
  // Coarser where a form of many curves would have too many corners: a millimetre at the very most.
  for (let error = CURVE_ERROR; error <= 5 * CURVE_ERROR; error *= 1.5) {
    const [left, right] = (['left', 'right'] as const).map((side) => edge(stations, side, isSmooth, error));
    const start = stations[0]!.at;
    const far = Math.max(...left!.map(([, away]) => away));
    const all: Ring = [
      ...right!.map(([at, away]): [Nm, Nm] => [far + away, at - start]),
      ...left!.reverse().map(([at, away]): [Nm, Nm] => [far - away, at - start]),
    ];
    const ring = all.filter(([x, y], i) => x !== all.at(i - 1)![0] || y !== all.at(i - 1)![1]);
    if (ring.length > MOST_CORNERS) continue;
    return ring.length < 3
      ? refused('These offsets make no form: it is nothing wide.')
      : ok({ ring, left: lengthOf(left!), right: lengthOf(right!) });
  }
  return refused('These offsets bend too often for one form: take fewer stations, or straight lines between them.');
}

import type { At } from './lines';

/** A B-spline as DXF writes it: control points with their weights, a knot for each and as many more as its order. */
interface Spline {
  degree: number;
  knots: readonly number[];
  control: readonly At[];
  /** One for each control point; all 1 where the spline is not rational. */
  weights: readonly number[];
}

/** Chords of one span between two knots, at most. */
const MOST_CHORDS = 512;

/** Tells whether its numbers go together: rising knots, enough of them. */
export const isWhole = ({ degree, knots, control, weights }: Spline): boolean =>
  degree >= 1 &&
  degree <= 10 &&
  control.length > degree &&
  knots.length === control.length + degree + 1 &&
  weights.length === control.length &&
  weights.every((weight) => weight > 0) &&
  knots.every((knot, i) => i === 0 || knot >= knots[i - 1]!);

/** The point of a spline at `t`, which lies in the knot span `span`: de Boor's algorithm in homogeneous coordinates (de Boor, 1972). */
function pointAt({ degree, knots, control, weights }: Spline, span: number, t: number): At {
  const d = Array.from({ length: degree + 1 }, (_, j) => {
    const i = j + span - degree;
    const weight = weights[i]!;
    return [control[i]!.x * weight, control[i]!.y * weight, weight] as [number, number, number];
  });
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const low = knots[j + span - degree]!;
      const wide = knots[j + 1 + span - r]! - low;
      const alpha = wide > 0 ? (t - low) / wide : 0;
      for (let k = 0; k < 3; k++) d[j]![k] = (1 - alpha) * d[j - 1]![k]! + alpha * d[j]![k]!;
    }
  const [x, y, w] = d[degree]!;
  return { x: x / w, y: y / w };
}

const strays = (from: At, to: At, at: At): number => {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const long = Math.hypot(dx, dy);
  return long === 0
    ? Math.hypot(at.x - from.x, at.y - from.y)
    : Math.abs(dx * (at.y - from.y) - dy * (at.x - from.x)) / long;
};

/** Points of a spline, its ends included: each span in twice as many chords until none strays more than `error` at its quarters. */
export function flattenSpline(spline: Spline, error: number): At[] {
  const { degree, knots, control } = spline;
  const points: At[] = [];
  for (let span = degree; span < control.length; span++) {
    const [from, to] = [knots[span]!, knots[span + 1]!];
    if (to <= from) continue;
    const at = (part: number) => pointAt(spline, span, from + (to - from) * part);
    let chords = 2;
    for (; chords < MOST_CHORDS; chords *= 2) {
      const ends = Array.from({ length: chords + 1 }, (_, i) => at(i / chords));
      const isFine = ends
        .slice(1)
        .every((end, i) => [0.25, 0.5, 0.75].every((part) => strays(ends[i]!, end, at((i + part) / chords)) <= error));
      if (isFine) break;
    }
    for (let i = points.length === 0 ? 0 : 1; i <= chords; i++) points.push(at(i / chords));
  }
  return points;
}

import simplify from 'simplify-js';
import { isSimple } from '../../lay/model/outline';
import { NM, type Nm } from '../../length';
import { ok, refuse, type Result } from '../../result';
import { CURVE_MM, joined, MOST_LINES, MOST_POINTS, type At } from './lines';
import { readDxf } from './read-dxf';
import { readSvg } from './read-svg';

const DRAWING_UNITS = { mm: 1, cm: 10, in: 25.4 } as const;
type DrawingUnit = keyof typeof DRAWING_UNITS;

export interface DrawnShape {
  /** Counter-clockwise, its box starting at [0, 0] (nm). */
  ring: [Nm, Nm][];
  /** How many other closed lines the drawing has: the one of the largest area is taken. */
  others: number;
}

/** The largest drawing that is read, in characters. */
const MOST_DRAWING = 2_000_000;
const MOST_CORNERS = 500;
const MOST_SIZE_MM = 20_000;

const areaOf = (points: readonly At[]) =>
  points.reduce((sum, { x, y }, i) => {
    const next = points[(i + 1) % points.length]!;
    return sum + x * next.y - y * next.x;
  }, 0) / 2;

/**
 * The form in a DXF or SVG drawing: its largest closed line. Curves are flattened so that they stray at most 0.2 mm. A drawing that does not say its unit needs `asked`; without it the fault's code is `unit-missing`.
 * Refused, each with its sentence: files that are too large or no drawing, outlines that are open or cross themselves
 * (told at the place, in mm from the drawing's origin), and more corners than an order takes.
 */
export function readDrawing(text: string, asked: DrawingUnit | null = null): Result<DrawnShape> {
  const refused = (message: string, code = 'file') => refuse(code, code === 'unit-missing' ? 'unit' : 'file', message);
  if (text.length > MOST_DRAWING) return refused('The drawing has more than 2 MB of text; save only the outline.');
  const drawing = /<svg[\s>]/i.test(text.slice(0, 20_000)) ? readSvg(text) : readDxf(text);
  if (!drawing.ok) return drawing;
  const unit = drawing.value.unit ?? (asked && DRAWING_UNITS[asked]);
  if (unit === null)
    return refused('The drawing does not say its unit; choose what one unit of it is.', 'unit-missing');
  const read = drawing.value.lines(CURVE_MM / unit);
  if (!read.ok) return read;
  const lines = read.value.filter(({ points }) => points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y)));
  const count = lines.reduce((sum, { points }) => sum + points.length, 0);
  if (lines.length > MOST_LINES || count > MOST_POINTS)
    return refused(
      `The drawing has more than ${MOST_LINES.toLocaleString('en')} lines or ${MOST_POINTS.toLocaleString('en')} points; save only the outline.`,
    );
  const whole = joined(lines, unit);
  const closed = whole
    .filter(({ isClosed }) => isClosed)
    .sort((a, b) => Math.abs(areaOf(b.points)) - Math.abs(areaOf(a.points)));
  const place = ({ x, y }: At) => `${(x * unit).toFixed(1)}, ${(y * unit).toFixed(1)} mm`;
  if (!closed[0]) {
    const [open] = whole.sort((a, b) => b.points.length - a.points.length);
    return open
      ? refused(
          `The outline is open: it begins at ${place(open.points[0]!)} and ends at ${place(open.points.at(-1)!)}.`,
        )
      : refused('The drawing holds no line.');
  }
  const points = closed[0].points.map(({ x, y }) => ({ x: x * unit, y: y * unit }));
  const fewer = points.length > MOST_CORNERS ? simplify(points, CURVE_MM, true) : points;
  if (fewer.length > MOST_CORNERS + 1)
    return refused(`The outline has ${fewer.length} corners; an order takes ${MOST_CORNERS}.`);
  if (areaOf(fewer) < 0) fewer.reverse();
  const [left, low] = [Math.min(...fewer.map(({ x }) => x)), Math.min(...fewer.map(({ y }) => y))];
  const ring = fewer
    .map(({ x, y }): [Nm, Nm] => [Math.round((x - left) * NM.mm), Math.round((y - low) * NM.mm)])
    .filter(([x, y], i, all) => {
      const [beforeX, beforeY] = all.at(i - 1)!;
      return Math.hypot(x - beforeX, y - beforeY) > NM.mm / 100;
    });
  const size = Math.max(...ring.flat()) / NM.mm;
  if (ring.length < 3 || !(size > 1)) return refused('The largest closed line of the drawing is a point.');
  if (size > MOST_SIZE_MM) return refused(`The outline is ${(size / 1000).toFixed(0)} m long: is the unit right?`);
  if (!isSimple(ring)) {
    const at = crossing(ring);
    return refused(
      `The outline crosses or touches itself${at ? ` near ${place({ x: (at[0] / NM.mm + left) / unit, y: (at[1] / NM.mm + low) / unit })}` : ''}.`,
    );
  }
  return ok({ ring, others: closed.length - 1 });
}

/** Where two edges of a ring that are not neighbours meet, or null. */
function crossing(ring: [Nm, Nm][]): [Nm, Nm] | null {
  const n = ring.length;
  for (let i = 0; i < n; i++)
    for (let k = i + 2; k < n; k++) {
      if (i === 0 && k === n - 1) continue;
      const [[ax, ay], [bx, by], [cx, cy], [dx, dy]] = [ring[i]!, ring[(i + 1) % n]!, ring[k]!, ring[(k + 1) % n]!];
      const under = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx);
      if (under === 0) continue;
      const t = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / under;
      const u = ((cx - ax) * (by - ay) - (cy - ay) * (bx - ax)) / under;
      if (t >= 0 && t <= 1 && u >= 0 && u <= 1) return [ax + t * (bx - ax), ay + t * (by - ay)];
    }
  return null;
}

import DxfParser, {
  type IEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type IArcEntity,
  type ICircleEntity,
  type IInsertEntity,
  type ILineEntity,
  type IEllipseEntity,
} from 'dxf-parser';
import { ok, refuse, type Result } from '../../result';
import { flattenArc, MOST_LINES, MOST_POINTS, type At, type Line } from './lines';
import { flattenSpline, isWhole } from './spline';

/** A drawing unit in mm by the number that a DXF's header gives it ($INSUNITS of the DXF reference). */
const UNITS: Record<number, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000, 10: 914.4, 14: 100 };

export interface Drawing {
  /** A drawing unit in mm, or null where the file does not say. */
  unit: number | null;
  /** The lines, curves flattened so that they stray no further than `error` (in drawing units). */
  lines(error: number): Result<Line[]>;
}

/** Numbers beyond this (drawing units) are none of a form; blocks within blocks, and copies of one block. */
const LARGEST = 1e7;
const MOST_DEPTH = 8;
const MOST_COPIES = 1_000;

/** A drawing that can't be read, in a sentence. */
class Unreadable extends Error {}

const sane = (...numbers: readonly (number | undefined)[]): void => {
  if (numbers.some((number) => number !== undefined && !(Math.abs(number) <= LARGEST)))
    throw new Unreadable('The drawing holds a number that is far too large for a form; save only the outline.');
};
const saneAt = (...points: readonly At[]) => points.forEach(({ x, y }) => sane(x, y));

/** The end of an arc that begins at `from`, less than a whole turn further (radians). */
function endOf(from: number, to: number): number {
  const whole = 2 * Math.PI;
  const sweep = (((to - from) % whole) + whole) % whole;
  return from + (sweep === 0 ? whole : sweep);
}

/** A vertex and the bulge behind it: the tangent of a quarter of the angle that the arc to the next one takes. */
function bulgeOf(from: At & { bulge?: number }, to: At, error: number): At[] {
  const quarter = Math.atan(from.bulge ?? 0);
  if (Math.abs(quarter) < 1e-9) return [{ x: to.x, y: to.y }];
  const sweep = 4 * quarter;
  const half = Math.hypot(to.x - from.x, to.y - from.y) / 2;
  const radius = half / Math.abs(Math.sin(Math.abs(sweep) / 2));
  sane(radius);
  const chord = Math.atan2(to.y - from.y, to.x - from.x);
  const start = chord - sweep / 2 - (Math.sign(sweep) * Math.PI) / 2;
  const centre = { x: from.x - Math.cos(start) * radius, y: from.y - Math.sin(start) * radius };
  return flattenArc(centre, radius, start, start + sweep, error).slice(1);
}

/** A spline as it stands in the file, weights included (group codes of the DXF reference). */
interface SplineEntity extends IEntity {
  degree: number;
  isClosed: boolean;
  knots: number[];
  weights: number[];
  control: At[];
  fit: At[];
}

/** Reads SPLINE entities with their weights, which the parser's own reader leaves out. */
class SplineReader {
  ForEntityName = 'SPLINE' as const;

  parseEntity(scanner: { next(): { code: number; value: unknown }; isEOF(): boolean }, first: { value: unknown }) {
    const entity = {
      type: String(first.value),
      degree: 3,
      isClosed: false,
      knots: [],
      weights: [],
      control: [],
      fit: [],
    } as unknown as SplineEntity;
    for (let group = scanner.next(); !scanner.isEOF() && group.code !== 0; group = scanner.next()) {
      const value = Number(group.value);
      if (group.code === 70) entity.isClosed = (value & 1) !== 0;
      else if (group.code === 71) entity.degree = value;
      else if (group.code === 40) entity.knots.push(value);
      else if (group.code === 41) entity.weights.push(value);
      else if (group.code === 10) entity.control.push({ x: value, y: 0 });
      else if (group.code === 20) entity.control.at(-1)!.y = value;
      else if (group.code === 11) entity.fit.push({ x: value, y: 0 });
      else if (group.code === 21) entity.fit.at(-1)!.y = value;
    }
    return entity;
  }
}

function splineOf({ degree, knots, weights, control, fit, isClosed }: SplineEntity, error: number): Line {
  const all = weights.length > 0 ? weights : control.map(() => 1);
  const spline = { degree, knots, control, weights: all };
  if (!isWhole(spline))
    throw new Unreadable(
      fit.length > 0 && control.length === 0
        ? 'A spline of the drawing has only points to pass through; save it with control points, or as a polyline.'
        : 'A spline of the drawing is not whole; save it as polylines, arcs and lines.',
    );
  saneAt(...control);
  const points = flattenSpline(spline, error);
  return { points, isClosed };
}

function lineOf(entity: IEntity, error: number): Line | null {
  switch (entity.type) {
    case 'LINE': {
      const [from, to] = (entity as ILineEntity).vertices;
      return from && to ? { points: [from, to], isClosed: false } : null;
    }
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const { vertices, shape } = entity as ILwpolylineEntity | IPolylineEntity;
      const first = vertices?.[0];
      if (!first) return null;
      saneAt(...(vertices as At[]));
      const ring = shape ? [...vertices, first] : vertices;
      const points = ring.slice(1).flatMap((to, i) => bulgeOf(ring[i]! as At, to, error));
      return { points: shape ? points : [first, ...points], isClosed: shape };
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity;
      sane(center.x, center.y, radius);
      return { points: flattenArc(center, radius, 0, 2 * Math.PI, error).slice(1), isClosed: true };
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      sane(center.x, center.y, radius, startAngle, endAngle);
      return { points: flattenArc(center, radius, startAngle, endOf(startAngle, endAngle), error), isClosed: false };
    }
    case 'ELLIPSE': {
      const { center, majorAxisEndPoint: axis, axisRatio, startAngle, endAngle } = entity as IEllipseEntity;
      sane(center.x, center.y, axis.x, axis.y, axisRatio, startAngle, endAngle);
      const reach = Math.hypot(axis.x, axis.y);
      const isWholeTurn = Math.abs(Math.abs(endAngle - startAngle) - 2 * Math.PI) < 1e-6;
      // A unit circle, its error as fine as the longer axis needs it, then stretched along both axes.
      const points = flattenArc({ x: 0, y: 0 }, 1, startAngle, endOf(startAngle, endAngle), error / reach).map(
        ({ x, y }) => ({
          x: center.x + axis.x * x - axis.y * axisRatio * y,
          y: center.y + axis.y * x + axis.x * axisRatio * y,
        }),
      );
      return isWholeTurn ? { points: points.slice(1), isClosed: true } : { points, isClosed: false };
    }
    case 'SPLINE':
      return splineOf(entity as SplineEntity, error);
    default:
      return null;
  }
}

type Blocks = Readonly<Record<string, { entities?: IEntity[]; position?: At } | undefined>>;

/** The lines of entities; those of an inserted block where the insert puts them, as often as it does. */
function linesOf(entities: readonly IEntity[], blocks: Blocks, error: number, depth = 0): Line[] {
  const lines: Line[] = [];
  let points = 0;
  const add = (line: Line) => {
    lines.push(line);
    points += line.points.length;
    if (lines.length > MOST_LINES || points > MOST_POINTS)
      throw new Unreadable(
        `The drawing has more than ${MOST_LINES.toLocaleString('en')} lines or ${MOST_POINTS.toLocaleString('en')} points; save only the outline.`,
      );
  };
  for (const entity of entities) {
    if (entity.type === 'INSERT') insertOf(entity as IInsertEntity, blocks, error, depth).forEach(add);
    else {
      const line = lineOf(entity, error);
      if (line) add(line);
    }
  }
  return lines;
}

function insertOf(insert: IInsertEntity, blocks: Blocks, error: number, depth: number): Line[] {
  const block = blocks[insert.name];
  if (!block?.entities) return [];
  if (depth >= MOST_DEPTH)
    throw new Unreadable('The drawing has blocks within blocks, too deep to read; save only the outline.');
  const { xScale = 1, yScale = 1, rotation = 0, position = { x: 0, y: 0 } } = insert;
  const [columns, rows] = [insert.columnCount || 1, insert.rowCount || 1];
  const [columnSpacing, rowSpacing] = [insert.columnSpacing ?? 0, insert.rowSpacing ?? 0];
  sane(xScale, yScale, rotation, position.x, position.y, columnSpacing, rowSpacing);
  if (!(columns * rows <= MOST_COPIES))
    throw new Unreadable('The drawing repeats a block too often; save only the outline.');
  const largest = Math.max(Math.abs(xScale), Math.abs(yScale), 1e-9);
  const own = linesOf(block.entities, blocks, error / largest, depth + 1);
  const base = block.position ?? { x: 0, y: 0 };
  const turn = (rotation * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const placed: Line[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [ox, oy] = [column * columnSpacing, row * rowSpacing];
      placed.push(
        ...own.map(({ points, isClosed }) => ({
          isClosed,
          points: points.map(({ x, y }) => {
            const [px, py] = [(x - base.x) * xScale + ox, (y - base.y) * yScale + oy];
            return { x: position.x + cos * px - sin * py, y: position.y + sin * px + cos * py };
          }),
        })),
      );
      if (placed.length > MOST_LINES)
        throw new Unreadable('The drawing repeats a block too often; save only the outline.');
    }
  return placed;
}

/**
 * Reads a DXF file's lines, polylines with bulges, arcs, circles, ellipses, splines and inserted blocks; texts and points are passed over.
 * Numbers that no form has are refused before anything is flattened.
 */
export function readDxf(text: string): Result<Drawing> {
  let file;
  try {
    const parser = new DxfParser();
    parser.registerEntityHandler(SplineReader as never);
    file = parser.parseSync(text);
  } catch {
    file = null;
  }
  if (!file || !Array.isArray(file.entities)) return refuse('file', 'file', 'This is not a DXF file that can be read.');
  const { entities, header, blocks } = file;
  const unsaid = entities.find(({ type }) => ['HATCH', '3DFACE', 'SOLID'].includes(type));
  return ok({
    unit: UNITS[Number(header?.['$INSUNITS'] ?? 0)] ?? null,
    lines(error) {
      try {
        const lines = linesOf(entities, (blocks ?? {}) as unknown as Blocks, error);
        if (lines.length === 0 && unsaid)
          return refuse('file', 'file', `The drawing is made of ${unsaid.type}; save it as polylines, arcs and lines.`);
        return ok(lines);
      } catch (error) {
        if (error instanceof Unreadable) return refuse('file', 'file', error.message);
        throw error;
      }
    },
  });
}

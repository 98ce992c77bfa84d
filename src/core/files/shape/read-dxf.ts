import DxfParser, {
  type IEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type IArcEntity,
  type ICircleEntity,
  type ILineEntity,
  type IEllipseEntity,
} from 'dxf-parser';
import { ok, refuse, type Result } from '../../result';
import { flattenArc, type At, type Line } from './lines';

/** A drawing unit in mm by the number that a DXF's header gives it ($INSUNITS of the DXF reference). */
const UNITS: Record<number, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000, 10: 914.4, 14: 100 };

export interface Drawing {
  /** A drawing unit in mm, or null where the file does not say. */
  unit: number | null;
  /** The lines, curves flattened so that they stray no further than `error` (in drawing units). */
  lines(error: number): Result<Line[]>;
}

/** A vertex and the bulge behind it: the tangent of a quarter of the angle that the arc to the next one takes. */
function bulgeOf(from: At & { bulge?: number }, to: At, error: number): At[] {
  const quarter = Math.atan(from.bulge ?? 0);
  if (Math.abs(quarter) < 1e-9) return [{ x: to.x, y: to.y }];
  const sweep = 4 * quarter;
  const half = Math.hypot(to.x - from.x, to.y - from.y) / 2;
  const radius = half / Math.sin(Math.abs(sweep) / 2);
  const chord = Math.atan2(to.y - from.y, to.x - from.x);
  const start = chord - sweep / 2 - (Math.sign(sweep) * Math.PI) / 2;
  const centre = { x: from.x - Math.cos(start) * radius, y: from.y - Math.sin(start) * radius };
  return flattenArc(centre, radius, start, start + sweep, error).slice(1);
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
      const ring = shape ? [...vertices, first] : vertices;
      const points = ring.slice(1).flatMap((to, i) => bulgeOf(ring[i]! as At, to, error));
      return { points: shape ? points : [first, ...points], isClosed: shape };
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity;
      return { points: flattenArc(center, radius, 0, 2 * Math.PI, error).slice(1), isClosed: true };
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      const end = endAngle > startAngle ? endAngle : endAngle + 2 * Math.PI;
      return { points: flattenArc(center, radius, startAngle, end, error), isClosed: false };
    }
    case 'ELLIPSE': {
      const { center, majorAxisEndPoint: axis, axisRatio, startAngle, endAngle } = entity as IEllipseEntity;
      const reach = Math.hypot(axis.x, axis.y);
      const isWhole = Math.abs(Math.abs(endAngle - startAngle) - 2 * Math.PI) < 1e-6;
      const end = endAngle > startAngle ? endAngle : endAngle + 2 * Math.PI;
      // A unit circle, its error as fine as the longer axis needs it, then stretched along both axes.
      const points = flattenArc({ x: 0, y: 0 }, 1, startAngle, end, error / reach).map(({ x, y }) => ({
        x: center.x + axis.x * x - axis.y * axisRatio * y,
        y: center.y + axis.y * x + axis.x * axisRatio * y,
      }));
      return isWhole ? { points: points.slice(1), isClosed: true } : { points, isClosed: false };
    }
    default:
      return null;
  }
}

/** Reads a DXF file's lines, polylines with bulges, arcs, circles and ellipses; texts and points are passed over. */
export function readDxf(text: string): Result<Drawing> {
  let file;
  try {
    file = new DxfParser().parseSync(text);
  } catch {
    file = null;
  }
  if (!file || !Array.isArray(file.entities)) return refuse('file', 'file', 'This is not a DXF file that can be read.');
  const { entities, header } = file;
  const unsaid = entities.find(({ type }) => ['SPLINE', 'INSERT', 'HATCH', '3DFACE', 'SOLID'].includes(type));
  return ok({
    unit: UNITS[Number(header?.['$INSUNITS'] ?? 0)] ?? null,
    lines(error) {
      const lines = entities.flatMap((entity) => lineOf(entity, error) ?? []);
      if (lines.length === 0 && unsaid)
        return refuse('file', 'file', `The drawing is made of ${unsaid.type}; save it as polylines, arcs and lines.`);
      return ok(lines);
    },
  });
}

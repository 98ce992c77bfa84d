export interface At {
  x: number;
  y: number;
}

/** A drawn line in the drawing's own units. */
export interface Line {
  points: At[];
  isClosed: boolean;
}

/** How far a flattened curve may stray from the drawn one (mm). */
export const CURVE_MM = 0.2;
/** Ends that lie no further apart than this (mm) are one point. */
const JOIN_MM = 0.1;
export const MOST_LINES = 5_000;
export const MOST_POINTS = 200_000;

/** Chords of one arc: a circle of 40 m across takes a thousand at 0.2 mm. */
const MOST_CHORDS = 4_000;

const apart = (a: At, b: At) => Math.hypot(a.x - b.x, a.y - b.y);

/** Points of a part of a circle, its two ends included; angles in radians, counter-clockwise where `to` is above `from`. */
export function flattenArc(centre: At, radius: number, from: number, to: number, error: number): At[] {
  const step = 2 * Math.acos(Math.max(0.5, 1 - error / Math.max(radius, error)));
  const parts = Math.min(MOST_CHORDS, Math.max(1, Math.ceil(Math.abs(to - from) / step)));
  return Array.from({ length: parts + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / parts;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
}

/** An elliptical arc as SVG writes it: its radii, the turn of its axis (degrees), and which of the four arcs it is. */
interface EndpointArc {
  rx: number;
  ry: number;
  turn: number;
  isLarge: boolean;
  isSweep: boolean;
}

/**
 * Points of an elliptical arc after its first one. From its ends to its middle as SVG's implementation notes have it (SVG 1.1, F.6.5 and
 * F.6.6: radii that are too small for the ends are made as large as needed).
 */
export function flattenEndpointArc(
  from: At,
  to: At,
  { rx, ry, turn, isLarge, isSweep }: EndpointArc,
  error: number,
): At[] {
  const phi = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
  const [dx, dy] = [(from.x - to.x) / 2, (from.y - to.y) / 2];
  const [x, y] = [cos * dx + sin * dy, cos * dy - sin * dx];
  if (rx === 0 || ry === 0 || (dx === 0 && dy === 0)) return [to];
  const wide = Math.max(1, Math.hypot(x / rx, y / ry));
  const [a, b] = [Math.abs(rx) * wide, Math.abs(ry) * wide];
  const rest = Math.max(0, (a * b) ** 2 - (a * y) ** 2 - (b * x) ** 2) / ((a * y) ** 2 + (b * x) ** 2);
  const root = (isLarge === isSweep ? -1 : 1) * Math.sqrt(rest);
  const [cx, cy] = [(root * a * y) / b, (-root * b * x) / a];
  const angle = (px: number, py: number) => Math.atan2((py - cy) / b, (px - cx) / a);
  const [start, end] = [angle(x, y), angle(-x, -y)];
  const whole = 2 * Math.PI;
  const sweep = isSweep ? (((end - start) % whole) + whole) % whole : -((((start - end) % whole) + whole) % whole);
  const step = 2 * Math.acos(Math.max(0.5, 1 - error / Math.max(a, b, error)));
  const parts = Math.min(2_000, Math.max(1, Math.ceil(Math.abs(sweep) / step)));
  const [mx, my] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  return Array.from({ length: parts }, (_, i): At => {
    if (i === parts - 1) return to;
    const t = start + (sweep * (i + 1)) / parts;
    const [px, py] = [cx + a * Math.cos(t), cy + b * Math.sin(t)];
    return { x: mx + cos * px - sin * py, y: my + sin * px + cos * py };
  });
}

/** Points of a Bézier curve of the second or third degree after its first one. */
export function flattenBezier(control: readonly At[], error: number): At[] {
  const degree = control.length - 1;
  const bend = (i: number) =>
    Math.hypot(
      control[i]!.x - 2 * control[i + 1]!.x + control[i + 2]!.x,
      control[i]!.y - 2 * control[i + 1]!.y + control[i + 2]!.y,
    );
  // A chord is off by at most step^2 / 8 times the greatest second derivative.
  const most = degree * (degree - 1) * Math.max(...control.slice(2).map((_, i) => bend(i)));
  const parts = Math.min(1_000, Math.max(1, Math.ceil(Math.sqrt(most / (8 * error)))));
  return Array.from({ length: parts }, (_, i) => {
    const t = (i + 1) / parts;
    let points = control;
    while (points.length > 1)
      points = points.slice(1).map((to, k) => {
        const start = points[k]!;
        return { x: start.x + (to.x - start.x) * t, y: start.y + (to.y - start.y) * t };
      });
    return points[0]!;
  });
}

/** Lines joined end to end as far as they go; `unit` is a drawing unit in mm. */
export function joined(lines: readonly Line[], unit: number): Line[] {
  const near = JOIN_MM / unit;
  const done = lines.filter(({ isClosed }) => isClosed);
  const open = lines.filter(({ isClosed, points }) => !isClosed && points.length > 1).map(({ points }) => points);
  while (open.length > 0) {
    let line = open.pop()!;
    for (;;) {
      if (line.length > 2 && apart(line[0]!, line.at(-1)!) <= near) break;
      const end = line.at(-1)!;
      const start = line[0]!;
      const next = open.findIndex((one) =>
        [one[0]!, one.at(-1)!].some((at) => apart(at, end) <= near || apart(at, start) <= near),
      );
      if (next < 0) break;
      const [one] = open.splice(next, 1) as [At[]];
      if (apart(one[0]!, end) <= near) line = [...line, ...one.slice(1)];
      else if (apart(one.at(-1)!, end) <= near) line = [...line, ...one.reverse().slice(1)];
      else if (apart(one.at(-1)!, start) <= near) line = [...one, ...line.slice(1)];
      else line = [...one.reverse(), ...line.slice(1)];
    }
    done.push({ points: line, isClosed: line.length > 2 && apart(line[0]!, line.at(-1)!) <= near });
  }
  return done;
}

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

const apart = (a: At, b: At) => Math.hypot(a.x - b.x, a.y - b.y);

/** Points of a part of a circle, its two ends included; angles in radians, counter-clockwise where `to` is above `from`. */
export function flattenArc(centre: At, radius: number, from: number, to: number, error: number): At[] {
  const step = 2 * Math.acos(Math.max(0.5, 1 - error / Math.max(radius, error)));
  const parts = Math.max(1, Math.ceil(Math.abs(to - from) / step));
  return Array.from({ length: parts + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / parts;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
}

/** Points of a Bézier curve of the second or third degree after its first one. */
export function flattenBezier(control: readonly At[], error: number): At[] {
  const degree = control.length - 1;
  const bend = (i: number) =>
    Math.hypot(control[i]!.x - 2 * control[i + 1]!.x + control[i + 2]!.x, control[i]!.y - 2 * control[i + 1]!.y + control[i + 2]!.y); // prettier-ignore
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
      const next = open.findIndex((one) => [one[0]!, one.at(-1)!].some((at) => apart(at, end) <= near || apart(at, start) <= near)); // prettier-ignore
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

import type { Pixel } from '../cloth/photo';
import { doubleArea } from '../lay/model/outline';
import { NM, type Nm } from '../length';
import { ok, refuse, type Result } from '../result';

// A traced form from a photograph on which a sheet of paper of known size lies beside the form, both flat on one plane. The four corners
// of the sheet give the plane's perspective (a homography: Hartley and Zisserman, Multiple View Geometry, section 4.1), and with it the
// outline that is marked on the picture gets its true size.

/** Sheets that lie beside a form, in mm: the short side by the long one (ISO 216; ANSI/ASME Y14.1 for Letter). */
export const SHEETS = {
  a4: { name: 'A4', short: 210, long: 297 },
  letter: { name: 'Letter', short: 215.9, long: 279.4 },
  a3: { name: 'A3', short: 297, long: 420 },
} as const;
export type SheetId = keyof typeof SHEETS;

export interface SheetPhoto {
  sheet: SheetId;
  /** The sheet's corners in turn, either way round. */
  corners: [Pixel, Pixel, Pixel, Pixel];
  /** True where the first side that was marked is the long one against what the picture looks like. */
  isSwapped: boolean;
  /** The form's outline in turn, either way round. */
  outline: readonly Pixel[];
  /** Tells whether a curve runs through the points, or straight edges. */
  isSmooth: boolean;
}

type Matrix = number[];
const MOST_CORNERS = 500;
const MOST_POINTS = 120;
/** Parts of a curve between two points that were marked, at most. */
const MOST_PARTS = 6;
const LEAST_SHEET_PX = 40;
/** Nearer to the plane's horizon than this part of the sheet's own distance nothing can be measured. */
const NEAREST_HORIZON = 0.1;

/** Solves a system of linear equations by Gaussian elimination with partial pivoting; null where it has no single solution. */
function solve(rows: number[][]): number[] | null {
  const n = rows.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const top = rows[column]!;
    if (Math.abs(top[column]!) < 1e-12) return null;
    for (let row = 0; row < n; row++) {
      if (row === column) continue;
      const factor = rows[row]![column]! / top[column]!;
      for (let k = column; k <= n; k++) rows[row]![k]! -= factor * top[k]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}

/** The homography that takes four points to four others; null where three of them lie on one line. */
function homography(from: readonly Pixel[], to: readonly Pixel[]): Matrix | null {
  // To scale, so that the equations stay well conditioned.
  const size = Math.max(...from.flat().map(Math.abs), 1);
  const rows = from.flatMap(([px, py], i): number[][] => {
    const [x, y] = [px / size, py / size];
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const h = solve(rows);
  return h && [h[0]! / size, h[1]! / size, h[2]!, h[3]! / size, h[4]! / size, h[5]!, h[6]! / size, h[7]! / size, 1];
}

const mapped = (h: Matrix, [x, y]: Pixel): Pixel => {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
};

const apart = ([ax, ay]: Pixel, [bx, by]: Pixel) => Math.hypot(bx - ax, by - ay);

/**
 * The form's ring (nm, counter-clockwise as seen from above, its box starting at [0, 0]), or the sentence that says what is wrong with
 * the marks, at the field `corners` or `outline`.
 */
export function formFromPhoto({ sheet, corners, isSwapped, outline, isSmooth }: SheetPhoto): Result<[Nm, Nm][]> {
  const turned = doubleArea(corners) < 0 ? ([...corners].reverse() as SheetPhoto['corners']) : corners;
  const sides = turned.map((corner, i) => apart(corner, turned[(i + 1) % 4]!));
  if (Math.min(...sides) < LEAST_SHEET_PX)
    return refuse(
      'sheet',
      'corners',
      'The sheet is too small on the picture: take it from nearer, or mark its four corners again.',
    );
  if (!isConvex(turned))
    return refuse('sheet', 'corners', 'The four corners of the sheet are not in turn: mark them going round it.');
  const { short, long } = SHEETS[sheet];
  const isFirstLong = sides[0]! + sides[2]! > sides[1]! + sides[3]! !== isSwapped;
  const [w, h] = isFirstLong ? [long, short] : [short, long];
  const plane = homography(turned, [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ]);
  if (!plane) return refuse('sheet', 'corners', 'Three corners of the sheet lie on one line: mark them again.');
  if (outline.length < 3)
    return refuse('outline', 'outline', 'Mark at least three points of the form’s edge, going round it.');
  if (outline.length > MOST_POINTS) return refuse('outline', 'outline', `Mark at most ${MOST_POINTS} points.`);
  const depthOf = ([x, y]: Pixel) => plane[6]! * x + plane[7]! * y + 1;
  const middle = turned.reduce((sum, at) => sum + depthOf(at), 0) / 4;
  if (outline.some((at) => depthOf(at) / middle < NEAREST_HORIZON))
    return refuse(
      'outline',
      'outline',
      'A point of the form lies beyond what the sheet’s perspective can reach: lay the sheet nearer to it.',
    );
  const points = outline.map((at) => mapped(plane, at));
  const ring = isSmooth ? curved(points) : points;
  // The picture's y runs down; seen from above it runs up.
  const up = ring.map(([x, y]): Pixel => [x, -y]);
  if (doubleArea(up) < 0) up.reverse();
  const [left, low] = [Math.min(...up.map(([x]) => x)), Math.min(...up.map(([, y]) => y))];
  return ok(up.map(([x, y]): [Nm, Nm] => [Math.round((x - left) * NM.mm), Math.round((y - low) * NM.mm)]));
}

function isConvex(ring: readonly Pixel[]): boolean {
  return ring.every((at, i) => {
    const [next, after] = [ring[(i + 1) % ring.length]!, ring[(i + 2) % ring.length]!];
    return (next[0] - at[0]) * (after[1] - next[1]) - (next[1] - at[1]) * (after[0] - next[0]) > 0;
  });
}

/** A closed curve through points: the spline of Catmull and Rom (1974), flattened. */
function curved(points: readonly Pixel[]): Pixel[] {
  const n = points.length;
  // An order takes so many corners; so many marks come near to a curve by themselves.
  const parts = Math.min(MOST_PARTS, Math.floor(MOST_CORNERS / n));
  return points.flatMap((p1, i) => {
    const [p0, p2, p3] = [points[(i + n - 1) % n]!, points[(i + 1) % n]!, points[(i + 2) % n]!];
    return Array.from({ length: parts }, (_, k): Pixel => {
      const t = k / parts;
      const along = (axis: 0 | 1) =>
        p1[axis] +
        0.5 *
          t *
          (p2[axis] -
            p0[axis] +
            t *
              (2 * p0[axis] -
                5 * p1[axis] +
                4 * p2[axis] -
                p3[axis] +
                t * (3 * (p1[axis] - p2[axis]) + p3[axis] - p0[axis])));
      return [along(0), along(1)];
    });
  });
}

/** A picture in grey, 0 to 255, row by row. */
interface GreyPicture {
  width: number;
  height: number;
  grey: Uint8Array | Uint8ClampedArray;
}

/** Places along each side of the sheet at which its edge is looked for, and how far (px) from where it was marked. */
const PROBES = 40;
const MOST_REACH_PX = 16;
const LEAST_CONTRAST = 12;
const LEAST_FOUND = 12;

/**
 * The sheet's corners where its edges really meet: each edge is found to a part of a pixel where grey changes most across it, a line is
 * laid through what was found, and neighbouring lines are crossed. A corner that can't be made surer stays where it was marked.
 */
export function refineCorners(picture: GreyPicture, corners: SheetPhoto['corners']): SheetPhoto['corners'] {
  const lines = corners.map((corner, i) => edgeLine(picture, corner, corners[(i + 1) % 4]!));
  return corners.map((corner, i): Pixel => {
    const [before, after] = [lines[(i + 3) % 4], lines[i]];
    const met = before && after && crossing(before, after);
    return met && apart(met, corner) <= 2 * MOST_REACH_PX ? met : corner;
  }) as SheetPhoto['corners'];
}

/** A line as a point on it and its direction. */
type Line = { at: Pixel; way: Pixel };

function edgeLine(picture: GreyPicture, from: Pixel, to: Pixel): Line | null {
  const long = apart(from, to);
  if (long < LEAST_SHEET_PX) return null;
  const way: Pixel = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
  const normal: Pixel = [-way[1], way[0]];
  const reach = Math.min(MOST_REACH_PX, long / 8);
  const found: Pixel[] = [];
  for (let i = 0; i < PROBES; i++) {
    const t = 0.1 + (0.8 * i) / (PROBES - 1);
    const at: Pixel = [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
    const off = steepest(picture, at, normal, reach);
    if (off !== null) found.push([at[0] + off * normal[0], at[1] + off * normal[1]]);
  }
  const first = fitted(found);
  if (!first) return null;
  // A spot far off the line is a shadow or a crease: fit once more without it.
  const near = found.filter((point) => offLine(first, point) < 1.5);
  return near.length >= LEAST_FOUND ? fitted(near) : null;
}

/** Where grey changes most along the normal, from -reach to reach (px); null where it hardly does. */
function steepest(picture: GreyPicture, [x, y]: Pixel, [nx, ny]: Pixel, reach: number): number | null {
  const STEP = 0.5;
  const count = Math.floor((2 * reach) / STEP) + 1;
  const slope = (i: number) => {
    const off = -reach + i * STEP;
    const at = (d: number) => sample(picture, x + (off + d) * nx, y + (off + d) * ny);
    return Math.abs(at(1) - at(-1));
  };
  const slopes = Array.from({ length: count }, (_, i) => slope(i));
  const best = slopes.reduce((at, value, i) => (value > slopes[at]! ? i : at), 0);
  if (slopes[best]! < LEAST_CONTRAST || best === 0 || best === count - 1) return null;
  // The middle of what is nearly as steep, weighted: an edge is as wide as the lens makes it.
  let [sum, weight] = [0, 0];
  for (let i = Math.max(0, best - 4); i <= Math.min(count - 1, best + 4); i++) {
    const part = Math.max(0, slopes[i]! - slopes[best]! / 3);
    sum += part * i;
    weight += part;
  }
  return -reach + (sum / weight) * STEP;
}

/** Grey between pixels, by the four around; beyond the picture its edge. A pixel's value stands at its middle. */
function sample({ width, height, grey }: GreyPicture, px: number, py: number): number {
  const [x, y] = [Math.min(Math.max(px - 0.5, 0), width - 1), Math.min(Math.max(py - 0.5, 0), height - 1)];
  const [x0, y0] = [Math.min(Math.floor(x), width - 2), Math.min(Math.floor(y), height - 2)];
  const [fx, fy] = [x - x0, y - y0];
  const at = (i: number, j: number) => grey[(y0 + j) * width + x0 + i]!;
  return (1 - fy) * ((1 - fx) * at(0, 0) + fx * at(1, 0)) + fy * ((1 - fx) * at(0, 1) + fx * at(1, 1));
}

/** The line that points lie nearest to, by the direction in which they scatter most. */
function fitted(points: readonly Pixel[]): Line | null {
  if (points.length < LEAST_FOUND) return null;
  const n = points.length;
  const [mx, my] = [points.reduce((sum, [x]) => sum + x, 0) / n, points.reduce((sum, [, y]) => sum + y, 0) / n];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { at: [mx, my], way: [Math.cos(angle), Math.sin(angle)] };
}

const offLine = ({ at, way }: Line, [x, y]: Pixel) => Math.abs((x - at[0]) * way[1] - (y - at[1]) * way[0]);

function crossing(a: Line, b: Line): Pixel | null {
  const cross = a.way[0] * b.way[1] - a.way[1] * b.way[0];
  if (Math.abs(cross) < 0.05) return null;
  const t = ((b.at[0] - a.at[0]) * b.way[1] - (b.at[1] - a.at[1]) * b.way[0]) / cross;
  return [a.at[0] + t * a.way[0], a.at[1] + t * a.way[1]];
}

import type { Box } from './box';
import type { Nm } from '../../length';

export type Point = [Nm, Nm];

/** The box around a ring, or around all corners of several. */
export function boxAround(ring: readonly Point[]): Box {
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

/** Twice the signed area of a ring (nm²): positive when it runs counter-clockwise. */
export function doubleArea(ring: readonly Point[]): number {
  let sum = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++)
    sum += ring[j]![0] * ring[i]![1] - ring[i]![0] * ring[j]![1];
  return sum;
}

/** The area (nm²) of a piece as it is cut: its outline's, or its box's. */
export const areaOfPiece = ({ outline, width, height }: { outline: readonly Point[] | null; width: Nm; height: Nm }) =>
  outline ? Math.abs(doubleArea(outline)) / 2 : width * height;

/** How long the edges of a simple ring are together (nm), or null when it has a corner that turns inwards. */
export function girthIfConvex(ring: readonly Point[]): number | null {
  const at = (i: number) => ring[i % ring.length]!;
  const turns = ring.map((_, i) => side(at(i), at(i + 1), at(i + 2)));
  if (turns.some((turn) => turn > 0) && turns.some((turn) => turn < 0)) return null;
  return ring.reduce((sum, [x, y], i) => sum + Math.hypot(at(i + 1)[0] - x, at(i + 1)[1] - y), 0);
}

/** Positive when c lies to the left of the line from a to b; taken relative to a, so that it stays exact enough. */
const side = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

const within = (p: Point, a: Point, b: Point) =>
  Math.min(a[0], b[0]) <= p[0] &&
  p[0] <= Math.max(a[0], b[0]) &&
  Math.min(a[1], b[1]) <= p[1] &&
  p[1] <= Math.max(a[1], b[1]);

function segmentsTouch(a: Point, b: Point, c: Point, d: Point): boolean {
  const [abc, abd, cda, cdb] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (abc * abd < 0 && cda * cdb < 0) return true;
  return (
    (abc === 0 && within(c, a, b)) ||
    (abd === 0 && within(d, a, b)) ||
    (cda === 0 && within(a, c, d)) ||
    (cdb === 0 && within(b, c, d))
  );
}

/** True when the ring has an area and no two edges meet except neighbours at their common corner. */
export function isSimple(ring: readonly Point[]): boolean {
  const n = ring.length;
  const at = (i: number) => ring[i % n]!;
  for (let i = 0; i < n; i++) {
    const [a, b, c] = [at(i), at(i + 1), at(i + 2)];
    if (a[0] === b[0] && a[1] === b[1]) return false;
    if (side(a, b, c) === 0 && (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]) < 0) return false;
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      if (segmentsTouch(a, b, at(j), at(j + 1))) return false;
    }
  }
  return doubleArea(ring) !== 0;
}

/** A ring turned counter-clockwise by quarter turns (degrees), its box starting at [0, 0] again. */
export function turnOutline(ring: readonly Point[], turn: number): Point[] {
  const turned = ring.map(([x, y]): Point => {
    if (turn === 90) return [-y, x];
    if (turn === 180) return [-x, -y];
    return turn === 270 ? [y, -x] : [x, y];
  });
  const [left, low] = [Math.min(...turned.map(([x]) => x)), Math.min(...turned.map(([, y]) => y))];
  return turned.map(([x, y]) => [x - left, y - low]);
}

const SLABS = 96;

/**
 * Boxes (x0, y0, x1, y1) that together cover what lies outside a simple outline within left..right and 0..length: the
 * outline is cut into slabs at its corners and at even steps, and of each slab only what is inside all the way is kept.
 */
export function boxesOutside(ring: readonly Point[], left: Nm, right: Nm, length: Nm): Box[] {
  const ys = ring.map(([, y]) => y);
  const top = Math.min(length, Math.max(...ys));
  const bottom = Math.max(0, Math.min(...ys));
  const stops = stopsOf(ys, bottom, top);
  const boxes: Box[] = [];
  if (bottom > 0) boxes.push([left, 0, right, bottom]);
  const far = length === Infinity ? top * 2 + 1 : length;
  if (top < far) boxes.push([left, top, right, far]);
  for (let i = 1; i < stops.length; i++) {
    const [y0, y1] = [stops[i - 1]!, stops[i]!];
    let x = left;
    for (const [from, to] of insideSpans(ring, y0, y1)) {
      if (from > x) boxes.push([x, y0, Math.min(from, right), y1]);
      x = Math.max(x, to);
    }
    if (x < right) boxes.push([x, y0, right, y1]);
  }
  return boxes;
}

/** Boxes (x0, y0, x1, y1) that together cover a simple outline, in slabs at its corners and at even steps. */
export function boxesWithin(ring: readonly Point[]): Box[] {
  const ys = ring.map(([, y]) => y);
  const [bottom, top] = [Math.min(...ys), Math.max(...ys)];
  const stops = stopsOf(ys, bottom, top);
  return stops.slice(1).flatMap((y1, i) => {
    const y0 = stops[i]!;
    return crossingsOf(ring, y0, y1)
      .reduce<[Nm, Nm][]>((spans, { low, high }, k) => {
        if (k % 2 === 0) spans.push([low, high]);
        else spans.at(-1)![1] = high;
        return spans;
      }, [])
      .map(([x0, x1]): Box => [Math.floor(x0), y0, Math.ceil(x1), y1]);
  });
}

/** The corners' heights and even steps between bottom and top, in order. */
const stopsOf = (ys: readonly Nm[], bottom: Nm, top: Nm): Nm[] =>
  [
    ...new Set([
      bottom,
      top,
      ...ys,
      ...Array.from({ length: SLABS + 1 }, (_, i) => Math.round(bottom + ((top - bottom) * i) / SLABS)),
    ]),
  ]
    .filter((y) => y >= bottom && y <= top)
    .sort((a, b) => a - b);

/** Where the whole slab from y0 to y1 is inside the ring: no corner lies strictly between, so edges are straight in it. */
function insideSpans(ring: readonly Point[], y0: Nm, y1: Nm): [Nm, Nm][] {
  const crossings = crossingsOf(ring, y0, y1);
  const spans: [Nm, Nm][] = [];
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    const [from, to] = [Math.ceil(crossings[i]!.high), Math.floor(crossings[i + 1]!.low)];
    if (to > from) spans.push([from, to]);
  }
  return spans;
}

/** The edges that go through the slab from y0 to y1, from left to right, with the least and the greatest x of each in it. */
function crossingsOf(ring: readonly Point[], y0: Nm, y1: Nm): { at: number; low: number; high: number }[] {
  const middle = (y0 + y1) / 2;
  const crossings: { at: number; low: number; high: number }[] = [];
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[j]!;
    const [bx, by] = ring[i]!;
    if (ay > middle === by > middle) continue;
    const xAt = (y: number) => ax + ((bx - ax) * (y - ay)) / (by - ay);
    const ends = [xAt(y0), xAt(y1)];
    crossings.push({ at: xAt(middle), low: Math.min(...ends), high: Math.max(...ends) });
  }
  return crossings.sort((a, b) => a.at - b.at);
}

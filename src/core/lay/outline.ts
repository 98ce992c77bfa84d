import type { Nm } from '../length';

export type Point = [Nm, Nm];

/** Twice the signed area of a ring (nm²): positive when it runs counter-clockwise. */
export function doubleArea(ring: readonly Point[]): number {
  let sum = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++)
    sum += ring[j]![0] * ring[i]![1] - ring[i]![0] * ring[j]![1];
  return sum;
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

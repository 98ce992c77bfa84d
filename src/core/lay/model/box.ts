import type { Nm } from '../../length';
import type { Point } from './outline';

/** A rectangle along the axes of the cloth: x0, y0, x1, y1 nm. */
export type Box = readonly [x0: Nm, y0: Nm, x1: Nm, y1: Nm];

/** The box around a ring, or around all corners of several. */
export function boxAround(ring: readonly Point[]): Box {
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

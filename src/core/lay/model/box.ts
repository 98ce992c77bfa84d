import type { Nm } from '../../length';

/** A rectangle along the axes of the cloth: x0, y0, x1, y1 nm. */
export type Box = readonly [x0: Nm, y0: Nm, x1: Nm, y1: Nm];

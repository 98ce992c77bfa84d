import type { Box } from './box';
import type { Lattice } from '../../cloth';
import type { Nm, Units } from '../../length';
import type { Point } from './outline';

/** A lay job in whole nanometres, read from the open format (docs/formats/lay-job.md). */
export interface LayJob {
  units: Units;
  clothName: string;
  lattice: Lattice | null;
  stock: StockLength[];
  gap: Nm;
  /** True when every piece must come free by edge-to-edge straight cuts. */
  straight: boolean;
  pieces: LayPiece[];
  strips: LayStrip[];
  /** Pieces that stay where they are; the rest is laid round them. */
  locked: LockedPiece[];
  /** Cuts of strips that stay where they are: all that a copy is joined from. */
  lockedCuts: LockedCut[];
  search: { seconds: number; seed: number };
}

/** One length of cloth. `length` is Infinity for the endless one; x runs from `left` to `right` where it is usable. */
export interface StockLength {
  id: string;
  length: Nm;
  left: Nm;
  right: Nm;
  motif: Point;
  /** Boxes to leave out: x0, y0, x1, y1. */
  flaws: Box[];
  outline: Point[] | null;
}

/** Which length is endless; -1 for none. */
export const endlessOf = (stock: readonly Pick<StockLength, 'length'>[]): number =>
  stock.findIndex(({ length }) => length === Infinity);

export interface LayPiece {
  id: string;
  qty: number;
  width: Nm;
  height: Nm;
  /** The outline in its own box at [0, 0], or null for a rectangle. */
  outline: Point[] | null;
  turns: readonly number[];
  match: PieceMatch | null;
}

/** Where a piece must lie on the pattern: its anchor less `offset` on a fixed phase, or on the phase of its group. */
export interface PieceMatch {
  anchor: Point;
  offset: Point;
  group: string | null;
}

/** A copy of a piece that is fixed: x, y nm of its box's lower left corner after turning (degrees). */
export interface LockedPiece {
  stock: string;
  piece: string;
  copy: number;
  x: Nm;
  y: Nm;
  turn: number;
}

/** A cut of a strip that is fixed: its corners in nm. */
export interface LockedCut {
  stock: string;
  strip: string;
  copy: number;
  length: Nm;
  outline: [Point, Point, Point, Point];
}

export type Grain = 'bias' | 'across' | 'along';

export interface LayStrip {
  id: string;
  qty: number;
  width: Nm;
  length: Nm;
  grain: Grain;
  loss: Nm;
  least: Nm;
}

/** Tells whether the cloth is one endless length without flaws and of plain shape. */
export const isPlainRoll = (stock: readonly StockLength[]): boolean =>
  stock.length === 1 && stock[0]!.length === Infinity && stock[0]!.flaws.length === 0 && !stock[0]!.outline;

/** Tells whether a piece or a cut of the job is locked. */
export const hasLocks = ({ locked, lockedCuts }: Pick<LayJob, 'locked' | 'lockedCuts'>): boolean =>
  locked.length + lockedCuts.length > 0;

/** Total of the finite lengths of the stock (nm). */
export const finiteLength = (stock: readonly StockLength[]): Nm =>
  stock.reduce((sum, { length }) => sum + (length === Infinity ? 0 : length), 0);

/** The copies of all pieces and strips of a job at most. */
export const MOST_COPIES = 10_000;

export const copiesOf = ({ pieces, strips }: Pick<LayJob, 'pieces' | 'strips'>): number =>
  [...pieces, ...strips].reduce((sum, { qty }) => sum + qty, 0);

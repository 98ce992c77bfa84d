import type { Nm } from '../../length';
import type { Point } from './outline';

/** A lay plan in nanometres: where each copy lies. It is written in the job's units by `planToJson`. */
export interface LayPlan {
  lays: Lay[];
  unplaced: Unplaced[];
  used: Nm;
  /** Its part on the endless length. */
  endless: Nm;
  /** A proven lower bound of `used` for the copies that are placed. */
  bound: Nm;
  /** About how many passes over the whole lay the search took. */
  passes: number;
  /** How many better lays the independent check refused: never any, unless the engine is at fault. */
  refused: number;
}

export interface Lay {
  stock: string;
  used: Nm;
  placed: PlacedPiece[];
  cuts: StripCut[];
}

export interface PlacedPiece {
  piece: string;
  copy: number;
  x: Nm;
  y: Nm;
  turn: number;
}

/** One cut of a strip: a parallelogram with two long edges of `length`. */
export interface StripCut {
  strip: string;
  copy: number;
  length: Nm;
  outline: [Point, Point, Point, Point];
}

export type Unplaced = ({ piece: string } | { strip: string }) & { copy: number; why: string };

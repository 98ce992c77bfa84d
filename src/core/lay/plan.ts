import { toUnits, type Nm, type Units } from '../length';
import { FORMAT_VERSION, PLAN_FORMAT } from './format-names';
import type { Point } from './outline';

/** A lay plan in nanometres: where each copy lies. It is written in the job's units by `planToJson`. */
export interface LayPlan {
  lays: Lay[];
  unplaced: Unplaced[];
  used: Nm;
  /** What of it lies on the endless length. */
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

/** The plan as the open format has it, in the given units. */
export function planToJson(plan: LayPlan, units: Units) {
  const out = (length: Nm) => toUnits(length, units);
  return {
    format: PLAN_FORMAT,
    version: FORMAT_VERSION,
    units,
    lays: plan.lays.map(({ stock, used, placed, cuts }) => ({
      stock,
      used: out(used),
      placed: placed.map(({ piece, copy, x, y, turn }) => ({ piece, copy, x: out(x), y: out(y), turn })),
      cuts: cuts.map(({ strip, copy, length, outline }) => ({
        strip,
        copy,
        length: out(length),
        outline: outline.map(([x, y]) => [out(x), out(y)]),
      })),
    })),
    unplaced: plan.unplaced,
    totals: { used: out(plan.used), bound: out(plan.bound) },
  };
}

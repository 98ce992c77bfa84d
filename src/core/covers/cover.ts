import type { Nm, OrderUnits } from '../length';
import type { Axis, Before, Fit, Foot, MarkSort, Needle, Role, Stitch, Taken, Tension, Tool } from './kind';

/** The facts of one cover: measures and options by name. Lengths in nanometres; a hem is a list of one or two turns. */
export interface CoverInput {
  measures: Record<string, Nm>;
  /** The traced outline of the form, where the kind takes one in place of two measures. */
  outline?: [Nm, Nm][];
  /** A length or a hem in nanometres, a count as it is, or a choice. */
  options: Record<string, Nm | Nm[] | string>;
  fit?: Fit;
  /** How the sizes were taken, where `taken` does not say otherwise of one; off the form where it is left out. */
  measuredAs?: Taken;
  /** How single measures were taken, by their names. */
  taken?: Record<string, Taken>;
  units: OrderUnits;
}

export interface MatchPoint {
  anchor: [Nm, Nm];
  delta: [Nm, Nm];
}

export interface CoverPiece {
  name: string;
  role: Role;
  qty: number;
  /** Which way its across and its along run on the cover. */
  axes: [Axis, Axis];
  across: Nm;
  along: Nm;
  sum: [string, string];
  /** The corners where it is not a rectangle, its box starting at [0, 0]. */
  outline?: [Nm, Nm][];
  match?: MatchPoint;
}

export interface CoverStrip {
  name: string;
  role: Role;
  qty: number;
  width: Nm;
  length: Nm;
  grain: 'bias' | 'across' | 'along';
  loss: Nm;
  least: Nm;
  sum: [string, string];
}

export interface CoverNotion {
  name: string;
  qty: number;
  length?: Nm;
  /** How wide and how high it must be at least (nm), of what is bought in sizes. */
  size?: [Nm, Nm];
  /** About how much of it one cover takes, where that is no measure: for costs and shopping (nm). */
  estimate?: Nm;
  note: string;
}

/** A mark on a piece of a cover, by its distances (nm) from the left and from the lower cut edge; a line has one of them. */
export interface CoverMark {
  /** Its number among the cover's marks, from 1: steps speak of it. */
  n: number;
  name: string;
  piece: string;
  sort: MarkSort;
  across: Nm | null;
  along: Nm | null;
}

export interface CoverStep {
  n: number;
  do: string;
  /** The allowance of its seam (nm). */
  seam?: Nm;
  /** The turns of its hem (nm). */
  hem?: Nm[];
  stitch?: Stitch;
  foot?: Foot;
  needle?: Needle;
  tension?: Tension;
  before?: Before;
  tip?: string;
  tools?: Tool[];
  caution?: string;
}

export interface Warning {
  code: string;
  field: string;
  message: string;
  /** A cover with a `stop` can't be made as entered. */
  level: 'warn' | 'stop';
}

/** A look at the finished cover: measured where it has a size (nm), else seen, right or not. */
export interface Inspection {
  what: string;
  size?: Nm;
  tolerance?: Nm;
  helps?: string;
}

/** Parts and notions of one cover: everything per cover, not multiplied by the order's quantity. */
export interface TakeOff {
  finished: { width: Nm; height: Nm; thickness?: Nm; skirt?: Nm; flange?: Nm; overlap?: Nm };
  pieces: CoverPiece[];
  strips: CoverStrip[];
  notions: CoverNotion[];
  marks: CoverMark[];
  steps: CoverStep[];
  /** A check of the sewn cover: the size that the tape must show, and how far it may be off. */
  inspections: Inspection[];
  warnings: Warning[];
  /** Sizes of the form that were worked back from an old cover (nm), by the measure's name. */
  workedBack: Record<string, Nm>;
  /** The seam allowance, for joins. */
  seam: Nm;
  /** Which point of the set's first piece lies on the motif when the pattern is centred. */
  centre: [Nm, Nm] | null;
}

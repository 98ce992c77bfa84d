import type { Cloth } from '../cloth';
import type {
  Axis,
  CoverMark,
  CoverNotion,
  CoverStep,
  Inspection,
  KindBook,
  MatchPoint,
  Provided,
  Role,
  Warning,
  TakeOff,
} from '../covers';
import type { Nm } from '../length';
import type { Result } from '../result';
import type { PieceMark, WideWay } from './panels';

/** A piece of the cut list: `qty` of it for the whole line. */
export interface CutPiece {
  line: string;
  name: string;
  role: Role;
  cloth: string;
  qty: number;
  /** Which way its across and its along run on the cover. */
  axes: [Axis, Axis];
  across: Nm;
  along: Nm;
  sum: [string, string];
  outline?: [Nm, Nm][];
  match?: MatchPoint;
  /** Added to an anchor's phase so that the motif is centred on the line's first matched piece. */
  centre?: [Nm, Nm];
  /** Pieces of one group of a line share the pattern; without one they share the line's. */
  group?: string;
  /** Its marks, in its own frame. */
  marks?: PieceMark[];
  /** The cover's usual seam allowance (nm). */
  seam?: Nm;
  /** It keeps its direction although the cloth would let it turn. */
  isFixed?: boolean;
}

/** A part that its cloth can't take as it is: the ways to cut it, the length that each takes in plain rows, and the one that holds. */
export interface WidePart {
  line: string;
  part: string;
  cloth: string;
  across: Nm;
  usable: Nm;
  /** Why it can't be cut as it is: it is wider than the cloth, or its motif has no place on it. */
  why: 'width' | 'motif';
  ways: { way: WideWay; pieces: number; length: Nm }[];
  /** Null while nobody has decided on a part whose motif has no place. */
  chosen: WideWay | null;
}

/** The workroom's part of a take-off, beside the order: its kinds, and its cloths by the names that lines use. */
export interface Workroom {
  kinds?: KindBook;
  cloths?: ReadonlyMap<string, Cloth>;
  /** Take-offs that are known already, by the id of their line; the others are made here. */
  covers?: ReadonlyMap<string, Result<TakeOff>>;
}

interface CutStrip {
  line: string;
  name: string;
  role: Role;
  cloth: string;
  qty: number;
  width: Nm;
  length: Nm;
  grain: 'bias' | 'across' | 'along';
  loss: Nm;
  least: Nm;
  sum: [string, string];
}

/** A material or a notion that is supplied or reused, for the whole line: sizes where it has them (nm). */
export interface ProvidedPart {
  line: string;
  name: string;
  how: Provided;
  qty: number;
  /** The role of a material; a notion has none. */
  role?: Role;
  size?: [Nm, Nm];
  length?: Nm;
  estimate?: Nm;
  /** The notion of the catalogue that its line names. */
  material?: number;
}

export interface CutList {
  pieces: CutPiece[];
  strips: CutStrip[];
  notions: (CoverNotion & {
    line: string;
    /** The notion of the catalogue that the line names for it; left out where it is the workroom's usual one. */
    material?: number;
  })[];
  marks: (CoverMark & { line: string })[];
  steps: (CoverStep & { line: string })[];
  inspections: (Inspection & { line: string })[];
  /** Materials and notions that nobody buys for the lines. */
  provided: ProvidedPart[];
  warnings: (Warning & { line: string })[];
  wide: WidePart[];
}

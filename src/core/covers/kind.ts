import type { OrderUnits } from '../length';

/** A cover kind is data: named measures, options, formulas, pieces, strips, notions, checks and steps. */
export type Fit = 'true' | 'snug' | 'overfull';
export const FITS: readonly Fit[] = ['true', 'snug', 'overfull'];

export interface Measure {
  id: string;
  label: string;
  /** Where the tape goes. */
  hint: string;
  /** Which line of the guide's drawing (of the kind's `object`) the tape follows. */
  tape?: string;
  /** A formula for what is meant when it is left open. */
  default?: string;
  /**
   * The form's size worked back from an old cover: from its seams, or from its cut edges (formulas, in which the measure's own name is what
   * was read off). Without them a size of an old cover is used as it is, and `asCut` tells the formulas so.
   */
  fromSeams?: string;
  fromCut?: string;
  /** Trimmed at its staples it says nothing but the least: the sentence that asks for what must be measured instead. */
  trimmed?: string;
}

/** How a size was taken: off the form, or off an old cover from seam to seam, cut edge to cut edge, or where it was trimmed at its staples. */
export const TAKEN = ['finished', 'seams', 'cut', 'trimmed'] as const;
export type Taken = (typeof TAKEN)[number];

/** The ways of taking a measure that its kind can work back from. */
export const takenOf = ({ fromSeams, fromCut, trimmed }: Measure): Taken[] =>
  TAKEN.filter(
    (way) =>
      way === 'finished' ||
      (way === 'seams' && fromSeams !== undefined) ||
      (way === 'cut' && fromCut !== undefined) ||
      (way === 'trimmed' && trimmed !== undefined),
  );

/** Whether the sizes of an old cover are worked back measure by measure; earlier versions of kinds take a line's sizes all alike. */
export const worksBack = ({ measures }: { measures: readonly Measure[] }): boolean =>
  measures.some((measure) => takenOf(measure).length > 1);

interface OptionBase {
  id: string;
  label: string;
  hint?: string;
  /** A condition; the option is asked for only while it holds. */
  when?: string;
  /** More options for: it is folded away until somebody looks for it. */
  isRare?: boolean;
}

interface LengthOption extends OptionBase {
  type: 'length';
  /** A formula; without one the option may stay open (`name` is then 0 and `name`Given is no). */
  default?: string;
  /** The same for an order in metric units, where it is another: nobody marks 1.27 cm. */
  metric?: string;
}

/** A hem: one number folds once, two fold twice. In formulas its name is the cloth that it takes up. */
interface HemOption extends OptionBase {
  type: 'hem';
  default: string[];
  metric?: string[];
}

/** A whole number of something, like straps. */
interface CountOption extends OptionBase {
  type: 'count';
  default: number;
}

interface ChoiceOption extends OptionBase {
  type: 'choice';
  choices: { id: string; label: string }[];
  default: string;
}

export type KindOption = LengthOption | HemOption | CountOption | ChoiceOption;

/** The usual value of a length or hem where an order leaves it open: formulas, none where it stays open. */
export function usualOf(option: KindOption, units: OrderUnits): readonly string[] {
  if (option.type !== 'length' && option.type !== 'hem') return [];
  const usual = units === 'in' ? option.default : (option.metric ?? option.default);
  return usual === undefined ? [] : [usual].flat();
}

/** A named result. An inline one is shown in sums by its formula instead of its value. */
export interface Result_ {
  name: string;
  is: string;
  inline?: boolean;
}

/** How a part shares the pattern: its anchor less delta has the same phase on all parts of the set. */
export interface PartMatch {
  anchor: [string, string];
  delta: [string, string];
}

/** Which way a side of a part runs on the finished cover, in the words people use. */
export const AXES = ['side to side', 'up and down', 'front to back'] as const;
export type Axis = (typeof AXES)[number];

/** Part of a circle: from one angle to another, in degrees, counter-clockwise when `to` is the larger. */
export interface Arc {
  centre: [string, string];
  radius: string;
  from: number;
  to: number;
}

export interface PartPiece {
  name: string;
  role: Role;
  qty: number | string;
  when?: string;
  across: string;
  along: string;
  /** Which way its across and its along run on the cover; side to side and up and down unless said. */
  axes?: [Axis, Axis];
  /** The corners and arcs where the piece is not a rectangle; its box is across by along and starts at [0, 0]. */
  outline?: ([string, string] | Arc)[];
  /** Cut along the traced outline, where one is given, with the seam allowance all round. */
  isTraced?: boolean;
  /** Allowance round the traced outline of this piece, where it is not the kind's. */
  traceAllowance?: string;
  /** Seen parts are matched where the cloth has a pattern. */
  match?: PartMatch;
}

export interface PartStrip {
  name: string;
  role: Role;
  qty: string;
  when?: string;
  width: string;
  length: string;
  /** `straight` is cut across the cloth, the short way to a long strip; `bias` at 45 degrees. */
  grain: string;
  loss: string;
  least: string;
}

export interface Notion {
  name: string;
  qty: string;
  when?: string;
  length?: string;
  /** How wide and how high it must be at least, of what is bought in sizes. */
  size?: [string, string];
  /** Text with {formulas} in braces. */
  note: string;
}

export interface Check {
  code: string;
  field: string;
  when: string;
  message: string;
  /** A cover that can't be made is stopped; anything else warns. */
  level: 'warn' | 'stop';
}

/** Setting of the machine, by what the stitching is for. Common practice of the trade, no source. */
export const STITCHES = {
  seam: '2.5–3 mm',
  upholstery: '4–5 mm',
  topstitch: '6 mm',
  basting: 'the longest',
  zigzag: 'zigzag, about 3 mm',
  neoprene: '3–3.5 mm, straight',
} as const;
export type Stitch = keyof typeof STITCHES;

/** Presser feet that a step may ask for. From memory. */
export const FEET = ['standard foot', 'zip foot', 'piping foot', 'walking foot'] as const;
export type Foot = (typeof FEET)[number];

/** Needles by the cloth that they are for. Common practice, no source; the numbers of the heavy ones from memory. */
export const NEEDLES = {
  light: 'needle 80 (12)',
  usual: 'needle 90 (14)',
  denim: 'denim needle 100 (16)',
  heavy: 'heavy needle 110 (18)',
  curved: 'curved hand needle',
} as const;
export type Needle = keyof typeof NEEDLES;

export const TENSIONS = { more: 'more thread tension' } as const;
export type Tension = keyof typeof TENSIONS;

/** Tools that people lay out before they begin, beside machine, foot and needle. Common practice, no source. */
export const TOOLS = [
  'rotary cutter and ruler',
  'shears',
  'pins',
  'clips',
  'basting tape, 1/4 in',
  'contrasting thread for basting',
  'marker',
  'seam ripper',
  'point turner',
  'iron',
  'bodkin or safety pin',
  'hand needle',
  'staple gun',
  'staple remover',
  'hot knife and glass',
  'foam saw',
  'spray adhesive',
  'leather or vinyl glue',
  'snap setter',
  'long needle for tufts',
  'tape measure',
] as const;
export type Tool = (typeof TOOLS)[number];

/** The question of a step that can't be taken back, and what helps where its answer is no. */
export interface Before {
  ask: string;
  helps: string;
}

/** Type of a mark: a spot, a line to stitch or cut along, or a line to fold along. */
export const MARK_SORTS = ['point', 'line', 'fold'] as const;
export type MarkSort = (typeof MARK_SORTS)[number];

/** A mark on a piece once it is cut, by its distances from the left and from the lower cut edge (formulas). */
export interface PartMark {
  name: string;
  /** The name of the piece. */
  piece: string;
  sort: MarkSort;
  when?: string;
  /** How many there are of it; its formulas then know `nth`, from 1. */
  count?: string;
  /** A point has both; a line with `across` alone runs the whole length of the piece, one with `along` alone its whole width. */
  across?: string;
  along?: string;
}

export interface Step {
  do: string;
  /** The names of the marks that it needs: their numbers stand behind it. */
  marks?: string[];
  /** The allowance of the seam that it sews (a formula). */
  seam?: string;
  /** The hem whose turns it folds: the name of the option, or the turns themselves (formulas). */
  hem?: string | string[];
  stitch?: Stitch;
  foot?: Foot;
  needle?: Needle;
  tension?: Tension;
  before?: Before;
  /** The slip that people make here, and how to keep from it. */
  tip?: string;
  /** Tools that it takes, beside those of its setting. */
  tools?: Tool[];
  when?: string;
  caution?: string;
}

/** A look at the finished cover: a size is measured within its tolerance (formulas), anything else is seen, right or not. */
export interface KindInspection {
  what: string;
  size?: string;
  tolerance?: string;
  /** Help, usually, where it is not right. */
  helps?: string;
  when?: string;
}

/** The role of a part's cloth. Cloth roles fall back to the face; materials that nobody sees have a name of their own. */
const CLOTH_ROLES = ['face', 'back', 'contrast', 'boxing', 'skirt', 'flap', 'pocket', 'welt', 'lining'] as const;
export const MATERIAL_ROLES = [
  'ticking',
  'batting',
  'fleece',
  'interfacing',
  'strap',
  'foam',
  'sewing foam',
  'board',
  'underlining',
  'dust cover',
] as const;
export const ROLES = [...CLOTH_ROLES, ...MATERIAL_ROLES] as const;
export type Role = (typeof ROLES)[number];

/** A material of a line that is not bought for it: the customer brings it, or it is taken over from the old cover. */
export const PROVIDED = ['supplied', 'reused'] as const;
export type Provided = (typeof PROVIDED)[number];

export const isMaterial = (role: Role): boolean => (MATERIAL_ROLES as readonly string[]).includes(role);

export const DRAWINGS = [
  'envelope',
  'wrap',
  'flat',
  'flap',
  'flange',
  'box',
  'stool',
  'book',
  'sleeve',
  'round',
  'bolster',
] as const;
export type Drawing = (typeof DRAWINGS)[number];

/** The lines on each object that a tape can follow. */
export const TAPES = {
  pad: ['across', 'down', 'edge'],
  block: ['front', 'deep', 'high', 'under'],
  round: ['diameter', 'high'],
  bolster: ['diameter', 'long'],
  book: ['wrap', 'tall', 'cover', 'board'],
  device: ['across', 'long', 'deep'],
  strap: ['across', 'long'],
  stool: ['front', 'deep', 'high', 'drop'],
} as const;
export type MeasuredObject = keyof typeof TAPES;

/** A usual size for the chart on the wall: every measure that an order must give, in the kind's order, as people write it: `20 x 30 x 4`. */
export interface UsualSize {
  in?: string;
  cm?: string;
}

export interface CoverKind {
  id: string;
  letter: string;
  name: string;
  version: number;
  about: string;
  drawing: Drawing;
  /** The thing that is measured: the guide draws it with the tape on it. */
  object: MeasuredObject;
  /** The filling: soft fills are checked to 1/4 in, all else to 1/8. */
  fill: 'soft' | 'firm';
  measures: Measure[];
  options: KindOption[];
  /** A traced outline may stand for two measures: its box gives them; formulas then know `traced` and `perimeter`. */
  outline?: { measure: string; across: string; along: string; allowance: string };
  defaultFit: Fit;
  /** The length that each fit adds to a measured edge, both sides together. */
  allowance: Partial<Record<Fit, string>> & { true?: string };
  results: Result_[];
  /** The finished size, for the drawing and the inspection. */
  finished: { width: string; height: string; thickness?: string; skirt?: string; flange?: string; overlap?: string };
  pieces: PartPiece[];
  strips: PartStrip[];
  notions: Notion[];
  checks: Check[];
  /** Looks at the sewn cover; without them the finished sizes and the diagonals. */
  inspections?: KindInspection[];
  /** Sizes that people ask for again and again; a kind without any is not on the wall. */
  usualSizes?: UsualSize[];
  /** None where nothing is marked. */
  marks?: PartMark[];
  steps: Step[];
  /** The point of the first matched piece that lies on the motif when the pattern is centred. */
  centre?: [string, string];
}

import type { CoverInput, Fit, Provided, Role, Taken } from '../covers';
import type { Nm } from '../length';
import type { Direction, WideWay } from './panels';

/** How the seen parts of a line share the cloth's pattern: not at all, all alike, or alike with the motif centred. */
export type Matching = 'none' | 'alike' | 'centred';

/** One order line: so many covers of one kind. Lengths in nanometres. */
export interface OrderLine {
  id: string;
  kind: string;
  /** The version of the kind that the line was made with; the current one where it is left out. */
  kindVersion?: number;
  qty: number;
  measures: Record<string, Nm>;
  /** The traced outline of the form, for kinds that take one. */
  outline?: [Nm, Nm][];
  options: CoverInput['options'];
  fit?: Fit;
  /** How its sizes were taken, and single ones otherwise. */
  measuredAs?: Taken;
  taken?: Record<string, Taken>;
  matching?: Matching;
  /** Which side of a part lies along the bolt, by the part's name; where it is left out the kind decides. */
  directions?: Record<string, Direction>;
  /** How a part that is wider than its cloth is cut, by the part's name. */
  panels?: Record<string, WideWay>;
  /** Materials and notions that are not bought for the line, by the material's role or the notion's name. */
  provided?: Record<string, Provided>;
  /** The cloth by role; a role that is not named falls back to face. */
  cloth: Partial<Record<Role, string>>;
}

import {
  isMaterial,
  kindById,
  takeOff,
  type CoverInput,
  type CoverNotion,
  type CoverStep,
  type Fit,
  type MatchPoint,
  type Role,
  type Warning,
} from '../covers';
import type { Nm, Units } from '../length';
import { ok, type Fault, type Result } from '../result';

/** How the seen parts of a line share the cloth's pattern: not at all, all alike, or alike with the motif centred. */
export type Matching = 'none' | 'alike' | 'centred';

/** One order line: so many covers of one kind. Lengths in nanometres. */
export interface OrderLine {
  id: string;
  kind: string;
  qty: number;
  measures: Record<string, Nm>;
  /** The traced outline of the form, for kinds that take one. */
  outline?: [Nm, Nm][];
  options: CoverInput['options'];
  fit?: Fit;
  measuredAs?: 'finished' | 'cut';
  matching?: Matching;
  /** The cloth by role; a role that is not named falls back to face. */
  cloth: Partial<Record<Role, string>>;
}

/** A piece of the cut list: `qty` of it for the whole line. */
export interface CutPiece {
  line: string;
  name: string;
  role: Role;
  cloth: string;
  qty: number;
  across: Nm;
  along: Nm;
  sum: [string, string];
  outline?: [Nm, Nm][];
  match?: MatchPoint;
  /** What is added to an anchor's phase so that the motif is centred on the line's first matched piece. */
  centre?: [Nm, Nm];
}

export interface CutStrip {
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

export interface CutList {
  pieces: CutPiece[];
  strips: CutStrip[];
  notions: (CoverNotion & { line: string })[];
  steps: (CoverStep & { line: string })[];
  warnings: (Warning & { line: string })[];
}

/** The largest number of one cover on a line, as a lay job takes at most 10,000 copies. */
export const MOST_COVERS = 10_000;

/**
 * The pieces, strips, notions, steps and warnings of order lines, line by line. Faults carry the field as
 * `LINE.measures.width`, so that a form shows them where they belong.
 */
export function cutList(lines: readonly OrderLine[], units: Units): Result<CutList> {
  const list: CutList = { pieces: [], strips: [], notions: [], steps: [], warnings: [] };
  const faults: Fault[] = [];
  for (const line of lines) {
    const found = addLine(list, line, units);
    faults.push(...found.map((fault) => ({ ...fault, field: `${line.id}.${fault.field}` })));
  }
  return faults.length > 0 ? { ok: false, faults } : ok(list);
}

function addLine(list: CutList, line: OrderLine, units: Units): Fault[] {
  const kind = kindById(line.kind);
  if (!kind) return [{ code: 'kind-unknown', field: 'kind', message: `“${line.kind}” is not a cover kind.` }];
  if (!Number.isInteger(line.qty) || line.qty < 1 || line.qty > MOST_COVERS) {
    return [
      {
        code: 'quantity',
        field: 'qty',
        message: `The quantity must be a whole number from 1 to ${MOST_COVERS.toLocaleString('en')}.`,
      },
    ];
  }
  const result = takeOff(kind, { ...line, units });
  if (!result.ok)
    return result.faults.map((fault) => ({
      ...fault,
      field: placeOf(
        fault.field,
        kind.measures.map(({ id }) => id),
      ),
    }));
  const { pieces, strips, notions, steps, warnings, centre } = result.value;
  const first = pieces.find(({ match }) => match)?.match;
  for (const { qty, role, match, ...piece } of pieces) {
    const shared = line.matching && line.matching !== 'none' ? match : undefined;
    list.pieces.push({
      line: line.id,
      ...piece,
      ...clothFor(line, role),
      qty: qty * line.qty,
      ...(shared && { match: shared }),
      ...(shared &&
        line.matching === 'centred' &&
        first &&
        centre && { centre: [first.anchor[0] - centre[0], first.anchor[1] - centre[1]] as [Nm, Nm] }),
    });
  }
  for (const { qty, role, ...strip } of strips)
    list.strips.push({ line: line.id, ...strip, ...clothFor(line, role), qty: qty * line.qty });
  list.notions.push(...notions.map((notion) => ({ line: line.id, ...notion, qty: notion.qty * line.qty })));
  list.steps.push(...steps.map((step) => ({ line: line.id, ...step })));
  list.warnings.push(...warnings.map((warning) => ({ line: line.id, ...warning })));
  return [];
}

const placeOf = (field: string, measures: string[]) =>
  field === ''
    ? 'kind'
    : field === 'fit'
      ? field
      : field === 'outline' || measures.includes(field)
        ? `measures.${field}`
        : `options.${field}`;

/** The cloth of a role: a back without a cloth of its own is simply more of the face, a material is called by its own name. */
function clothFor({ cloth }: OrderLine, role: Role): { role: Role; cloth: string } {
  const own = cloth[role];
  if (own === undefined && isMaterial(role)) return { role, cloth: role };
  return { role: own === undefined && role === 'back' ? 'face' : role, cloth: own ?? cloth.face ?? 'unnamed' };
}

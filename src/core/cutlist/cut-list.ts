import { usableWidth, type Cloth } from '../cloth';
import {
  BUILT_IN,
  isMaterial,
  takeOff,
  type Axis,
  type CoverInput,
  type CoverNotion,
  type CoverStep,
  type Fit,
  type Inspection,
  type KindBook,
  type MatchPoint,
  type Role,
  type TakeOff,
  type Warning,
} from '../covers';
import { printLength, STYLES, type Nm, type Units } from '../length';
import { ok, type Fault, type Result } from '../result';
import { clothSteps, clothWarnings, stepOn } from './cloth-slips';
import { alikeMissed, missOfMotif, motifMissed } from './motif-places';
import {
  joinedParts,
  joinOf,
  lengthInRows,
  narrowJoin,
  turned,
  type Direction,
  type Part,
  type WideWay,
} from './panels';

/** How the seen parts of a line share the cloth's pattern: not at all, all alike, or alike with the motif centred. */
export type Matching = 'none' | 'alike' | 'centred';

/** One order line: so many covers of one kind. Lengths in nanometres. */
export interface OrderLine {
  id: string;
  kind: string;
  /** Of a house's own kind: the version that the line was made with; the current one where it is left out. */
  kindVersion?: number;
  qty: number;
  measures: Record<string, Nm>;
  /** The traced outline of the form, for kinds that take one. */
  outline?: [Nm, Nm][];
  options: CoverInput['options'];
  fit?: Fit;
  measuredAs?: 'finished' | 'cut';
  matching?: Matching;
  /** Which side of a part lies along the bolt, by the part's name; where it is left out the kind decides. */
  directions?: Record<string, Direction>;
  /** How a part that is wider than its cloth is cut, by the part's name. */
  panels?: Record<string, WideWay>;
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
  /** Which way its across and its along run on the cover. */
  axes: [Axis, Axis];
  across: Nm;
  along: Nm;
  sum: [string, string];
  outline?: [Nm, Nm][];
  match?: MatchPoint;
  /** What is added to an anchor's phase so that the motif is centred on the line's first matched piece. */
  centre?: [Nm, Nm];
  /** Pieces of one group of a line share the pattern; without one they share the line's. */
  group?: string;
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

/** What the workroom knows beside the order: its kinds, and its cloths by the names that lines use. */
export interface Workroom {
  kinds?: KindBook;
  cloths?: ReadonlyMap<string, Cloth>;
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
  inspections: (Inspection & { line: string })[];
  warnings: (Warning & { line: string })[];
  wide: WidePart[];
}

/** The largest number of one cover on a line, as a lay job takes at most 10,000 copies. */
export const MOST_COVERS = 10_000;

/**
 * The pieces, strips, notions, steps and warnings of order lines, line by line. Faults carry the field as
 * `LINE.measures.width`, so that a form shows them where they belong. Where the cloths are known, parts are turned to
 * their direction, panels wider than the cloth are joined, and slips that the cloth shows are told.
 */
export function cutList(lines: readonly OrderLine[], units: Units, room: Workroom = {}): Result<CutList> {
  const list: CutList = { pieces: [], strips: [], notions: [], steps: [], inspections: [], warnings: [], wide: [] };
  const faults: Fault[] = [];
  for (const line of lines) {
    const found = addLine(list, line, units, room);
    faults.push(...found.map((fault) => ({ ...fault, field: `${line.id}.${fault.field}` })));
  }
  return faults.length > 0 ? { ok: false, faults } : ok(list);
}

function addLine(list: CutList, line: OrderLine, units: Units, { kinds = BUILT_IN, cloths }: Workroom): Fault[] {
  const kind = kinds.find(line.kind, line.kindVersion);
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
  const cover = result.value;
  const before = list.pieces.length;
  const clothOf = (role: Role) => cloths?.get(clothFor(line, role).cloth);
  const id = { line: line.id };
  for (const part of partsOf(list, line, cover, clothOf, units)) {
    list.pieces.push(Object.assign(part, id, clothFor(line, part.role), { qty: part.qty * line.qty }));
  }
  const copies = list.pieces.slice(before).reduce((sum, { qty }) => sum + qty, 0) + cover.strips.reduce((sum, { qty }) => sum + qty * line.qty, 0); // prettier-ignore
  if (copies > MOST_COVERS)
    return [
      {
        code: 'copies',
        field: 'qty',
        message: `${line.qty.toLocaleString('en')} of these are cut as ${copies.toLocaleString('en')} parts, and ${MOST_COVERS.toLocaleString('en')} are the most; divide them over several orders.`,
      },
    ];
  for (const strip of cover.strips)
    list.strips.push(Object.assign(strip, id, clothFor(line, strip.role), { qty: strip.qty * line.qty }));
  // The cover is fresh and nobody else's: its rows are marked with their line as they are, without copies.
  for (const notion of cover.notions) list.notions.push(Object.assign(notion, id, { qty: notion.qty * line.qty }));
  for (const one of cover.inspections) list.inspections.push(Object.assign(one, id));
  const ofCloth = clothSteps(clothOf('face'));
  ofCloth.forEach((step, i) => list.steps.push({ ...step, ...id, n: i + 1 }));
  for (const step of cover.steps)
    list.steps.push(Object.assign(stepOn(clothOf('face'), step), id, { n: ofCloth.length + step.n }));
  const slips = clothWarnings(line, kind, cover, (role) => clothOf(role as Role), units);
  list.warnings.push(...[...cover.warnings, ...slips].map((warning) => ({ ...id, ...warning })));
  return [];
}

/** The parts of a cover as they are cut: matched where the line is, turned to their direction, joined where they are wider than the cloth. */
function partsOf(
  list: CutList,
  line: OrderLine,
  { pieces, centre, seam }: TakeOff,
  clothOf: (role: Role) => Cloth | undefined,
  units: Units,
): Part[] {
  const isMatched = line.matching !== undefined && line.matching !== 'none';
  const first = pieces.find(({ match }) => match);
  const isTurned = (name: string) => line.directions?.[name] === 'across';
  const parts = pieces.map(({ match, ...piece }): Part => {
    const part: Part = piece;
    if (isMatched && match) part.match = match;
    // A centred motif is centred on the first matched part; a part that runs another way has its own phase.
    if (part.match && line.matching === 'centred' && centre && isTurned(piece.name) === isTurned(first!.name))
      part.centre = [first!.match!.anchor[0] - centre[0], first!.match!.anchor[1] - centre[1]];
    const direction = line.directions?.[piece.name];
    const laid = direction === 'across' ? turned(part) : part;
    if (direction === 'along' || direction === 'across') laid.isFixed = true;
    return laid;
  });
  const onCloth = (cloth: Cloth) => parts.filter(({ role }) => clothOf(role) === cloth);
  for (const cloth of new Set(parts.flatMap(({ role }) => clothOf(role) ?? []))) {
    const message = alikeMissed(onCloth(cloth), cloth, units);
    if (message)
      list.warnings.push({ line: line.id, code: 'motif-no-place', field: 'matching', level: 'stop', message });
  }
  return parts.flatMap((part) => {
    const cloth = clothOf(part.role);
    if (!cloth) return [part];
    if (missOfMotif(part, cloth) === 0) return fitted(list, line, part, cloth, seam, units);
    const others = onCloth(cloth).filter(({ match, group }) => match && !group);
    return moved(list, line, part, others, cloth, seam, units);
  });
}

/** A part whose motif has no place on its cloth: joined where that is wanted, else told and left as it is. */
function moved(
  list: CutList,
  line: OrderLine,
  part: Part,
  others: readonly Part[],
  cloth: Cloth,
  seam: Nm,
  units: Units,
): Part[] {
  const usable = usableWidth(cloth);
  if (part.across > usable) return fitted(list, line, part, cloth, seam, units);
  const joined = joinedParts(part, narrowJoin(part.across, seam, missOfMotif(part, cloth)), seam, true, units);
  const canJoin = joined.every((one) => missOfMotif(one, cloth) === 0);
  const chosen = canJoin && line.panels?.[part.name] === 'join' ? 'join' : null;
  if (canJoin) {
    const length = lengthOfCovers(joined, line.qty, cloth);
    list.wide.push({
      line: line.id,
      part: part.name,
      cloth: cloth.name,
      across: part.across,
      usable,
      why: 'motif',
      ways: [{ way: 'join', pieces: joined.length, length }],
      chosen,
    });
  }
  if (chosen) return joined;
  const message = motifMissed(part, others, canJoin, cloth, units);
  list.warnings.push({ line: line.id, code: 'motif-no-place', field: 'matching', level: 'stop', message });
  return [part];
}

/** The length in plain rows (nm) that parts of one cover take for so many covers. */
const lengthOfCovers = (parts: readonly Part[], covers: number, cloth: Cloth): Nm =>
  lengthInRows(
    parts.map((one) => ({ ...one, qty: one.qty * covers })),
    cloth,
  );

/** A part on its cloth: as it is, or where it is wider than the cloth, joined or run along the bolt. */
function fitted(list: CutList, line: OrderLine, part: Part, cloth: Cloth, seam: Nm, units: Units): Part[] {
  const usable = usableWidth(cloth);
  const join = joinOf(part.across, usable, seam);
  if (!join) return [part];
  const joined = joinedParts(part, join, seam, cloth.repeat !== null, units);
  const sideways = part.along <= usable ? { ...turned(part), isFixed: true } : null;
  const ways: WidePart['ways'] = [
    { way: 'join', pieces: joined.length, length: lengthOfCovers(joined, line.qty, cloth) },
  ];
  if (sideways) ways.push({ way: 'sideways', pieces: 1, length: lengthOfCovers([sideways], line.qty, cloth) });
  // Cloth that may turn any way needs no seam; any other keeps its direction until somebody decides.
  const usual: WideWay = sideways && cloth.turns === 'any' && !cloth.repeat ? 'sideways' : 'join';
  const wanted = line.panels?.[part.name] ?? usual;
  const chosen = wanted === 'sideways' && sideways ? 'sideways' : 'join';
  list.wide.push({
    line: line.id,
    part: part.name,
    cloth: cloth.name,
    across: part.across,
    usable,
    why: 'width',
    ways,
    chosen,
  });
  const say = (length: Nm) => printLength(length, STYLES[units]);
  list.warnings.push({
    line: line.id,
    code: 'panel-wide',
    field: 'panels',
    level: 'warn',
    message:
      chosen === 'join'
        ? `The ${part.name} is ${say(part.across)} across and ${cloth.name} ${say(usable)} between its selvages: it is joined from ${joined.length} widths, the whole one in the middle.`
        : `The ${part.name} is ${say(part.across)} across and ${cloth.name} ${say(usable)} between its selvages: it is run along the bolt.`,
  });
  return chosen === 'join' ? joined : [sideways!];
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

import { BUILT_IN, isMaterial, takeOff, unknownKind, unusualMeasures, type Role } from '../covers';
import { printLength, STYLES, type Nm, type OrderUnits } from '../length';
import { ok, type Fault, type Result } from '../result';
import { clothSteps, clothWarnings, stepOn } from './cloth-warnings';
import { partsOf } from './cover-parts';
import type { CutList, Workroom } from './cut-piece';
import type { OrderLine } from './order-line';

/** The code of the warning that a measure is outside its usual range. */
export const UNUSUAL = 'measure-unusual';
/** A limit as people say it: whole inches, centimetres or millimetres. */
const say = (length: Nm, units: OrderUnits): string => printLength(length, STYLES[units]).replace('≈ ', '');

/** The largest number of one cover on a line, as a lay job takes at most 10,000 copies. */
export const MOST_COVERS = 10_000;

/**
 * The pieces, strips, notions, steps and warnings of order lines, line by line. Faults carry the field as
 * `LINE.measures.width`, so that a form shows them where they belong. Where the cloths are known, parts are turned to
 * their direction, panels wider than the cloth are joined, and the cloth's own warnings are added.
 */
export function cutList(lines: readonly OrderLine[], units: OrderUnits, room: Workroom = {}): Result<CutList> {
  const list: CutList = {
    pieces: [],
    strips: [],
    notions: [],
    marks: [],
    steps: [],
    inspections: [],
    provided: [],
    warnings: [],
    wide: [],
  };
  const faults: Fault[] = [];
  for (const line of lines) {
    const found = addLine(list, line, units, room);
    faults.push(...found.map((fault) => ({ ...fault, field: `${line.id}.${fault.field}` })));
  }
  return faults.length > 0 ? { ok: false, faults } : ok(list);
}

function addLine(
  list: CutList,
  line: OrderLine,
  units: OrderUnits,
  { kinds = BUILT_IN, cloths, covers }: Workroom,
): Fault[] {
  const kind = kinds.find(line.kind, line.kindVersion);
  if (!kind) return [unknownKind(kinds, line.kind, line.kindVersion)];
  if (!Number.isInteger(line.qty) || line.qty < 1 || line.qty > MOST_COVERS) {
    return [
      {
        code: 'quantity',
        field: 'qty',
        message: `The quantity must be a whole number from 1 to ${MOST_COVERS.toLocaleString('en')}.`,
      },
    ];
  }
  const result = covers?.get(line.id) ?? takeOff(kind, { ...line, units });
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
  const isProvided = (name: string) => line.provided?.[name] !== undefined;
  for (const { name, role, qty, across, along } of cover.pieces.filter(
    ({ role }) => isMaterial(role) && isProvided(role),
  ))
    list.provided.push({ ...id, name, role, how: line.provided![role]!, qty: qty * line.qty, size: [across, along] });
  const bought = { ...cover, pieces: cover.pieces.filter(({ role }) => !isMaterial(role) || !isProvided(role)) };
  for (const part of partsOf(list, line, bought, clothOf, units)) {
    list.pieces.push(
      Object.assign(part, id, clothFor(line, part.role), { qty: part.qty * line.qty, seam: cover.seam }),
    );
  }
  const copies =
    list.pieces.slice(before).reduce((sum, { qty }) => sum + qty, 0) +
    cover.strips.reduce((sum, { qty }) => sum + qty * line.qty, 0);
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
  for (const notion of cover.notions) {
    const of = Object.assign(notion, id, { qty: notion.qty * line.qty });
    const how = line.provided?.[notion.name];
    if (how === undefined) list.notions.push(of);
    else list.provided.push({ ...of, how });
  }
  for (const one of cover.marks) list.marks.push(Object.assign(one, id));
  for (const one of cover.inspections) list.inspections.push(Object.assign(one, id));
  const ofCloth = clothSteps(clothOf('face'));
  ofCloth.forEach((step, i) => list.steps.push({ ...step, ...id, n: i + 1 }));
  for (const step of cover.steps)
    list.steps.push(Object.assign(stepOn(clothOf('face'), step), id, { n: ofCloth.length + step.n }));
  const warnings = clothWarnings(line, kind, cover, (role) => clothOf(role as Role), units);
  const unusual = unusualMeasures(kind, line.measures).map(({ id: field, label, value, least, most }) => ({
    code: UNUSUAL,
    field,
    level: 'warn' as const,
    message: `${label} of ${say(value, units)} is unusual for “${kind.name}”, which is mostly ${say(least, units)} to ${say(most, units)}: is it meant so?`,
  }));
  list.warnings.push(...[...cover.warnings, ...unusual, ...warnings].map((warning) => ({ ...id, ...warning })));
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

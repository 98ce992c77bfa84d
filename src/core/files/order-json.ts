import {
  FITS,
  kindById,
  NEEDLES,
  PROVIDED,
  ROLES,
  STITCHES,
  TAKEN,
  TENSIONS,
  type CoverInput,
  type Fit,
} from '../covers';
import { cutList, DIRECTIONS, MOST_COVERS, WIDE_WAYS, type CutList, type OrderLine } from '../cutlist';
import { parseLength, printNumber, STYLES, toUnits, type Nm, type Units } from '../length';
import { ok, refuse, type Result } from '../result';
import { parseJson } from './lay-json';

const ORDER_FORMAT = 'jolly-bolt/order';
const CUT_LIST_FORMAT = 'jolly-bolt/cut-list';

/** An order read from its open format (docs/formats/order.md). */
interface OrderFile {
  units: Units;
  order: { no: string; customer: string; due: string };
  lines: OrderLine[];
}

const MOST_LINES = 5_000;

class Refusal extends Error {}

const no = (where: string, value: unknown, wanted: string): never => {
  const text = value === undefined ? 'nothing' : (JSON.stringify(value) ?? String(value));
  throw new Refusal(`${where}: ${text.length > 60 ? `${text.slice(0, 57)}...` : text} is not ${wanted}`);
};

/** Reads the text of an order; a fault names the line, the field and the value. */
export function parseOrder(text: string): Result<OrderFile> {
  const json = parseJson(text);
  if (!json.ok) return json;
  try {
    return ok(readOrder(json.value));
  } catch (error) {
    if (error instanceof Refusal) return refuse('order', 'order', error.message);
    throw error;
  }
}

function readOrder(value: unknown): OrderFile {
  const file = object(value, 'order');
  if (file.format !== ORDER_FORMAT) no('format', file.format, `"${ORDER_FORMAT}"`);
  if (file.version !== 1) no('version', file.version, '1');
  const units = oneOf(file.units, ['in', 'mm'] as const, 'units');
  const head = object(file.order ?? {}, 'order');
  const word = (one: unknown, where: string) =>
    (one === undefined ? '' : typeof one === 'string' ? one : no(where, one, 'a text')) as string;
  if (!Array.isArray(file.lines) || file.lines.length === 0) no('lines', file.lines, 'a list of at least one line');
  const lines = file.lines as unknown[];
  if (lines.length > MOST_LINES) throw new Refusal(`lines: ${lines.length} lines are more than ${MOST_LINES}`);
  const seen = new Set<string>();
  return {
    units,
    order: {
      no: word(head.no, 'order.no'),
      customer: word(head.customer, 'order.customer'),
      due: word(head.due, 'order.due'),
    },
    lines: lines.map((line, i) => readLine(line, i, units, seen)),
  };
}

function readLine(value: unknown, i: number, units: Units, seen: Set<string>): OrderLine {
  const line = object(value, `lines[${i}]`);
  const id = String(line.id ?? i + 1);
  const at = (field: string) => `line ${id}: ${field}`;
  if (seen.has(id)) throw new Refusal(`lines[${i}].id: "${id}" is there twice`);
  seen.add(id);
  const kind = kindById(String(line.kind));
  if (!kind) return no(at('kind'), line.kind, 'a cover kind');
  const qty = line.qty ?? 1;
  if (!Number.isInteger(qty) || (qty as number) < 1 || (qty as number) > MOST_COVERS)
    no(at('qty'), qty, `a whole number from 1 to ${MOST_COVERS}`);
  const measures: Record<string, Nm> = {};
  let outline: [Nm, Nm][] | undefined;
  for (const [name, one] of Object.entries(object(line.measures, at('measures')))) {
    if (name === kind.outline?.measure) outline = readOutline(one, units, at(`measures.${name}`));
    else measures[name] = readLength(one, units, at(`measures.${name}`));
  }
  const options: CoverInput['options'] = {};
  for (const [name, one] of Object.entries(object(line.options ?? {}, at('options')))) {
    const option = kind.options.find((known) => known.id === name);
    if (!option)
      throw new Refusal(
        `${at(`options.${name}`)} is not an option of ${kind.id}; it has ${kind.options.map((known) => known.id).join(', ')}`,
      );
    options[name] =
      option.type === 'count'
        ? readCount(one, at(`options.${name}`))
        : option.type === 'choice'
          ? oneOf(
              one,
              option.choices.map((choice) => choice.id),
              at(`options.${name}`),
            )
          : option.type === 'hem' && Array.isArray(one)
            ? one.map((turn) => readLength(turn, units, at(`options.${name}`)))
            : readLength(one, units, at(`options.${name}`));
  }
  const cloth: OrderLine['cloth'] = {};
  for (const [role, one] of Object.entries(object(line.cloth ?? {}, at('cloth')))) {
    if (typeof one !== 'string' || one === '') no(at(`cloth.${role}`), one, 'the name of a cloth');
    cloth[oneOf(role, ROLES, at('cloth'))] = one as string;
  }
  const byPart = <T extends string>(field: string, allowed: readonly T[]) =>
    Object.fromEntries(
      Object.entries(object(line[field], at(field))).map(([part, one]) => [
        part,
        oneOf(one, allowed, at(`${field}.${part}`)),
      ]),
    );
  return {
    id,
    kind: kind.id,
    qty: qty as number,
    measures,
    ...(outline && { outline }),
    options,
    cloth,
    ...(line.directions !== undefined && { directions: byPart('directions', DIRECTIONS) }),
    ...(line.panels !== undefined && { panels: byPart('panels', WIDE_WAYS) }),
    ...(line.matching !== undefined && {
      matching: oneOf(line.matching, ['none', 'alike', 'centred'] as const, at('matching')),
    }),
    ...(line.fit !== undefined && { fit: oneOf<Fit>(line.fit, FITS, at('fit')) }),
    ...(line.measuredAs !== undefined && {
      measuredAs: oneOf(line.measuredAs, TAKEN, at('measuredAs')),
    }),
    ...(line.taken !== undefined && { taken: byPart('taken', TAKEN) }),
    ...(line.provided !== undefined && { provided: byPart('provided', PROVIDED) }),
  };
}

const readCount = (value: unknown, where: string): number =>
  Number.isInteger(value) && (value as number) >= 0 && (value as number) <= 100
    ? (value as number)
    : no(where, value, 'a whole number from 0 to 100');

function readOutline(value: unknown, units: Units, where: string): [Nm, Nm][] {
  if (!Array.isArray(value) || value.length < 3 || value.length > 2000)
    return no(where, value, 'an outline of 3 to 2000 corners');
  return value.map((corner, i) => {
    if (!Array.isArray(corner) || corner.length !== 2) return no(`${where}[${i}]`, corner, 'a pair of lengths');
    return [readLength(corner[0], units, `${where}[${i}]`), readLength(corner[1], units, `${where}[${i}]`)];
  });
}

/** A length of the document: a number in its units, or as a workroom writes it. */
function readLength(value: unknown, units: Units, where: string): Nm {
  if (typeof value !== 'number' && typeof value !== 'string') no(where, value, 'a length');
  if (typeof value === 'number' && !(value >= 0 && value <= 1e6)) no(where, value, 'a length of zero or more');
  // A number is written out in full, never as 1e-7.
  const text = typeof value === 'number' ? value.toFixed(9).replace(/0+$/, '').replace(/\.$/, '') : String(value);
  const length = parseLength(text, units, where);
  if (!length.ok) throw new Refusal(`${where}: ${length.faults[0]!.message}`);
  return length.value;
}

function object(value: unknown, where: string): Record<string, unknown> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) no(where, value, 'an object');
  return value as Record<string, unknown>;
}

function oneOf<T extends string>(value: unknown, allowed: readonly T[], where: string): T {
  if (!allowed.includes(value as T)) no(where, value, `one of ${allowed.join(', ')}`);
  return value as T;
}

/** The cut list of an order file, or the first fault with its line, field and value. */
export function takeOffOrder({ lines, units }: OrderFile): Result<CutList> {
  const result = cutList(lines, units);
  if (result.ok) return result;
  const { field, message, code } = result.faults[0]!;
  const line = lines.find(({ id }) => field.startsWith(`${id}.`))!;
  const place = field.slice(line.id.length + 1);
  const [group, name] = place.split('.');
  const value = name && (group === 'measures' ? line.measures[name] : undefined);
  const shown = typeof value === 'number' ? ` (${printNumber(value, STYLES[units]).text})` : '';
  return refuse(code, place, `line ${line.id}: ${place}${shown}: ${message}`);
}

/** The cut list as the open format has it, lengths in `units`. */
export function cutListToJson(list: CutList, units: Units) {
  const out = (length: Nm) => toUnits(length, units);
  return {
    format: CUT_LIST_FORMAT,
    version: 1,
    units,
    pieces: list.pieces.map(({ line, name, role, cloth, qty, across, along, outline, sum }) => ({
      line,
      name,
      role,
      cloth,
      qty,
      size: [out(across), out(along)],
      ...(outline && { outline: outline.map((corner) => corner.map(out)) }),
      sum,
    })),
    strips: list.strips.map(({ line, name, role, cloth, qty, width, length, grain, loss, least, sum }) => ({
      line,
      name,
      role,
      cloth,
      qty,
      width: out(width),
      length: out(length),
      grain,
      loss: out(loss),
      least: out(least),
      sum,
    })),
    notions: list.notions.map(({ line, name, qty, length, note }) => ({
      line,
      name,
      qty,
      ...(length !== undefined && { length: out(length) }),
      note,
    })),
    ...(list.provided.length > 0 && {
      provided: list.provided.map(({ line, name, how, qty, size, length }) => ({
        line,
        name,
        how,
        qty,
        ...(size && { size: size.map(out) }),
        ...(length !== undefined && { length: out(length) }),
      })),
    }),
    steps: list.steps.map(
      ({ line, n, do: what, seam, hem, stitch, foot, needle, tension, before, tip, tools, caution }) => ({
        line,
        n,
        do: what,
        ...(seam !== undefined && { seam: out(seam) }),
        ...(hem && { hem: hem.map(out) }),
        ...(stitch && { stitch: STITCHES[stitch] }),
        ...(foot && { foot }),
        ...(needle && { needle: NEEDLES[needle] }),
        ...(tension && { tension: TENSIONS[tension] }),
        ...(before && { before }),
        ...(tip && { tip }),
        ...(tools && { tools }),
        ...(caution && { caution }),
      }),
    ),
    inspections: list.inspections.map(({ line, what, size, tolerance, helps }) => ({
      line,
      what,
      ...(size !== undefined && { size: out(size) }),
      ...(tolerance !== undefined && { tolerance: out(tolerance) }),
      ...(helps && { helps }),
    })),
    warnings: list.warnings.map(({ line, code, field, message }) => ({ line, code, field, message })),
  };
}

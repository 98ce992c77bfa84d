import { isValid, parse } from 'date-fns';
import type { CoverKind, Fit, KindBook } from '@/core/covers';
import type { Cloth } from '@/core/cloth';
import type { Sheet } from '@/core/files';
import type { OrderUnits } from '@/core/length';
import type { WorkroomRules } from '@/features/workroom/form';
import { isKeepable } from '@/features/commands/texts';
import { acceptLine, type AcceptedLine } from './accept';
import { emptyLine, FIT_LABELS, MATCHING_LABELS, rolesOf, type LineForm, type OrderForm } from './form';

/** A fault in one cell, or in a row (`column` -1) where the sheet has no column for it. */
export interface CellFault {
  row: number;
  column: number;
  message: string;
}

export interface SheetOrder {
  form: Omit<OrderForm, 'lines'>;
  lines: AcceptedLine[];
  rows: number[];
}

export interface CheckedSheet {
  /** The orders that may come in, in the sheet's order. */
  orders: SheetOrder[];
  faults: CellFault[];
  /** How many rows they have. */
  goodRows: number;
  /** Rows with faults. */
  badRows: number[];
  /** Orders with good rows that stay out since another row of them is bad. */
  heldBack: number;
  /** Sizes of good rows that are outside the usual range of their kind: somebody says first that they are meant. */
  questions: CellFault[];
}

export interface SheetRoom {
  kinds: KindBook;
  cloths: ReadonlyMap<string, Cloth>;
  /** Ids of cloths by their lower-case names. */
  clothIds: ReadonlyMap<string, string>;
  workroom: WorkroomRules;
  /** When an order without a day is due. */
  usualDue: string;
}

const MOST_LINES = 500;
const DAY_FORMATS = ['yyyy-MM-dd', 'd MMM yyyy', 'd MMMM yyyy', 'd.M.yyyy', 'MMM d yyyy'];

/**
 * Reads a sheet's rows as order lines. `fields` says what each column means ('' leaves it out). Rows with the same order
 * reference make one order; without one, rows of the same customer and day do. Bad rows are told cell by cell; an order with one
 * stays out whole, or where `isPartial`, comes in without it.
 */
export function checkSheet(sheet: Sheet, fields: readonly string[], room: SheetRoom, isPartial = false): CheckedSheet {
  const orders = new Map<string, SheetOrder>();
  const faults: CellFault[] = [];
  const badRows: number[] = [];
  const questions: CellFault[] = [];
  const badOrders = new Set<string>();
  const at = (field: string) => fields.indexOf(field);
  sheet.rows.forEach((cells, row) => {
    if (cells.every((cell) => cell.trim() === '')) return;
    const cellFaults: CellFault[] = [];
    // One sentence a cell: what follows from the first is not told again.
    const tell = (field: string, message: string) => {
      const column = at(field);
      if (column < 0 || !cellFaults.some((one) => one.column === column)) cellFaults.push({ row, column, message });
    };
    cells.forEach((cell, column) => {
      if (fields[column] && !isKeepable(cell))
        cellFaults.push({
          row,
          column,
          message: 'This cell holds a character that can’t be kept; write it again by hand.',
        });
      else if (fields[column] && cell.trimStart().startsWith('='))
        cellFaults.push({ row, column, message: 'This cell holds a formula; write its value instead.' });
    });
    const text = (field: string) => (at(field) < 0 ? '' : (cells[at(field)] ?? '').trim());
    const written = unitsOf(text('units'), room.workroom.units);
    const units = written?.units ?? null;
    if (units === null) tell('units', `“${text('units')}” is not a unit; write in, ft, cm, mm or m.`);
    const due = dayOf(text('due'), room.usualDue);
    if (due === null)
      tell('due', `“${text('due')}” is not a day without doubt; write it like 2027-02-12 or 12 Feb 2027.`);
    const customer = text('customer');
    if (customer === '') tell('customer', 'Say who the order is for.');
    if (customer.length > 120) tell('customer', 'A customer’s name has at most 120 letters.');
    if (text('notes').length > 4000) tell('notes', 'Notes have at most 4,000 letters.');
    const made = written === null ? null : lineOf(cells, fields, written, room, tell);
    const line = cellFaults.length > 0 ? null : made;
    const key = text('order') || `${customer.toLowerCase()} ${due} ${units}`;
    const order = orders.get(key);
    if (line && order && order.lines.length >= MOST_LINES) tell('order', `An order has at most ${MOST_LINES} lines.`);
    if (line && order && (order.form.customer.toLowerCase() !== customer.toLowerCase() || order.form.units !== units))
      tell('order', `Order “${text('order')}” is of another customer or in other units further up.`);
    if (cellFaults.length > 0) {
      faults.push(...cellFaults);
      badRows.push(row);
      badOrders.add(key);
      return;
    }
    for (const { field, message } of line!.unusual) questions.push({ row, column: at(`value:${field}`), message });
    if (order) {
      order.lines.push(line!);
      order.rows.push(row);
    } else
      orders.set(key, {
        rows: [row],
        form: { customer, due: due!, units: units!, notes: text('notes') },
        lines: [line!],
      });
  });
  const good = [...orders].flatMap(([key, order]) => (isPartial || !badOrders.has(key) ? [order] : []));
  const goodRows = good.reduce((sum, { rows }) => sum + rows.length, 0);
  const coming = new Set(good.flatMap(({ rows }) => rows));
  return {
    orders: good,
    faults,
    goodRows,
    badRows,
    heldBack: orders.size - good.length,
    questions: questions.filter(({ row }) => coming.has(row)),
  };
}

/** The line of one row, or null with its faults told at their cells. */
function lineOf(
  cells: readonly string[],
  fields: readonly string[],
  { units, bare }: WrittenUnits,
  room: SheetRoom,
  tell: (field: string, message: string) => void,
): AcceptedLine | null {
  const cellFaults = new Set<string>();
  const fault = (field: string, message: string) => {
    // One sentence a cell: what follows from the first is not told again.
    if (!cellFaults.has(field)) tell(field, message);
    cellFaults.add(field);
  };
  const text = (field: string) => (fields.includes(field) ? (cells[fields.indexOf(field)] ?? '').trim() : '');
  const kind = kindOf(text('kind'), room.kinds.current);
  if (!kind) {
    fault(
      'kind',
      text('kind') === ''
        ? 'Say what kind of cover it is.'
        : `“${text('kind')}” is not a kind of cover that this workroom knows.`,
    );
    return null;
  }
  const line: LineForm = { ...emptyLine(kind, room.workroom, units), qty: text('qty') || '1' };
  const word = <T extends string>(
    field: string,
    labels: Record<T, string>,
    also: Record<string, T> = {},
  ): T | undefined => {
    const given = text(field).toLowerCase();
    if (given === '') return undefined;
    const found = (Object.entries(labels) as [T, string][]).find(
      ([id, label]) => id === given || label.toLowerCase() === given,
    );
    const known = found?.[0] ?? also[given];
    if (known === undefined)
      fault(field, `“${text(field)}” is not one of ${Object.values(labels).join(', ').toLowerCase()}.`);
    return known;
  };
  const fit = word<Fit>('fit', FIT_LABELS, { true: 'true' });
  if (fit && kind.allowance[fit] === undefined) fault('fit', `${kind.name} is not made ${fit}.`);
  else if (fit) line.fit = fit;
  line.matching = word('matching', MATCHING_LABELS) ?? 'none';
  line.measuredAs =
    word('measuredAs', {
      finished: 'of the form',
      seams: 'an old cover’s seams',
      cut: 'an old cover’s cut edges',
    }) ?? 'finished';

  fields.forEach((field, column) => {
    const given = (cells[column] ?? '').trim();
    const [group, name] = field.split(':');
    if (given === '' || name === undefined) return;
    if (group === 'cloth') {
      const id = room.clothIds.get(given.toLowerCase());
      if (!id) fault(field, `“${given}” is not a cloth that this workroom keeps.`);
      else line.cloth[name as 'face'] = id;
    } else if (group === 'value') setValue(kind, line, name, given, bare, (message) => fault(field, message));
  });
  const roles = new Set<string>(rolesOf(kind, line.choices));
  for (const role of Object.keys(line.cloth)) if (!roles.has(role)) delete line.cloth[role as 'face'];

  const accepted = acceptLine(line, units, room);
  if ('faults' in accepted) for (const { field, message } of accepted.faults) fault(columnOf(field), message);
  return cellFaults.size === 0 && 'line' in accepted ? accepted.line : null;
}

/** A field of the form (`typed.width`) as a field of a sheet (`value:width`). */
const columnOf = (field: string): string =>
  field
    .replace(/^(typed|choices)\./, 'value:')
    .replace(/^cloth\./, 'cloth:')
    .replace(/^kind$/, 'kind');

function setValue(
  kind: CoverKind,
  line: LineForm,
  name: string,
  given: string,
  bare: string,
  fault: (message: string) => void,
) {
  const option = kind.options.find(({ id }) => id === name);
  if (kind.measures.some(({ id }) => id === name) || option?.type === 'length' || option?.type === 'hem') {
    line.typed[name] = withUnit(given, bare);
    return;
  }
  if (!option) return fault(`This is not asked for on “${kind.name}”; leave the cell empty.`);
  if (option.type === 'count') {
    line.choices[name] = given;
    return;
  }
  const wanted = given.toLowerCase();
  const choice =
    option.type === 'choice'
      ? option.choices.find(({ id, label }) => id.toLowerCase() === wanted || label.toLowerCase() === wanted)
      : undefined;
  if (choice) line.choices[name] = choice.id;
  else if (option.type === 'choice')
    fault(`“${given}” is not one of ${option.choices.map(({ label }) => label).join(', ')}.`);
}

function kindOf(text: string, kinds: readonly CoverKind[]): CoverKind | undefined {
  const wanted = text.toLowerCase();
  if (wanted === '') return undefined;
  return kinds.find(
    ({ id, name, letter }) => id === wanted || name.toLowerCase() === wanted || letter.toLowerCase() === wanted,
  );
}

/** The meaning of a sheet's column of units: the order's own, and the unit that a number without one has where that is another. */
interface WrittenUnits {
  units: OrderUnits;
  bare: '' | 'ft' | 'm';
}

const UNIT_WORDS: readonly (readonly [words: readonly string[], meant: WrittenUnits])[] = [
  [['in', 'inch', 'inches', '"'], { units: 'in', bare: '' }],
  [['ft', 'foot', 'feet', "'"], { units: 'in', bare: 'ft' }],
  [['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters', 'metric'], { units: 'mm', bare: '' }],
  [['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], { units: 'millimetres', bare: '' }],
  [['m', 'metre', 'metres', 'meter', 'meters'], { units: 'mm', bare: 'm' }],
];

function unitsOf(text: string, usual: OrderUnits): WrittenUnits | null {
  const given = text.toLowerCase().replace(/\.$/, '');
  if (given === '') return { units: usual, bare: '' };
  return UNIT_WORDS.find(([words]) => words.includes(given))?.[1] ?? null;
}

/** A length with the unit of its column, where it has none; a hem turn by turn. */
const withUnit = (text: string, bare: string): string =>
  bare === ''
    ? text
    : text
        .split('+')
        .map((turn) => (/[a-z"'’”]/i.test(turn) ? turn.trim() : `${turn.trim()} ${bare}`))
        .join(' + ');

/** A day as `2027-02-12`, or null where it is none or could be two. */
function dayOf(text: string, usual: string): string | null {
  if (text === '') return usual;
  const slashes = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(text);
  if (slashes) {
    const [a, b] = [Number(slashes[1]), Number(slashes[2])];
    if (a <= 12 && b <= 12 && a !== b) return null;
    return dayOf(
      `${slashes[3]}-${String(a > 12 ? b : a).padStart(2, '0')}-${String(a > 12 ? a : b).padStart(2, '0')}`,
      usual,
    );
  }
  for (const format of DAY_FORMATS) {
    const day = parse(text.replace(/,/g, ''), format, new Date(2000, 0, 1));
    if (isValid(day) && day.getFullYear() > 1900 && day.getFullYear() < 2200)
      return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
  }
  return null;
}

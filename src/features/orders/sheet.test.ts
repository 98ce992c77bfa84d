import { describe, expect, test } from 'vitest';
import type { Cloth } from '@/core/cloth';
import { BUILT_IN, KINDS } from '@/core/covers';
import { proposeFields, sheetFields, type Sheet } from '@/core/files';
import { inches, NM } from '@/core/length';
import { USUAL_RULES } from '@/features/workroom/form';
import { checkSheet, type SheetRoom } from './sheet';

const cloth: Cloth = {
  name: 'Rushes',
  width: inches(55),
  selvage: [0, 0],
  repeat: null,
  turns: 'any',
  price: { minor: 100, currency: 'GBP', per: 'yd' },
  sellingStep: inches(9),
};
const room: SheetRoom = {
  kinds: BUILT_IN,
  cloths: new Map([['1', cloth]]),
  clothIds: new Map([['rushes', '1']]),
  workroom: USUAL_RULES,
  usualDue: '2027-01-31',
};
const columns = [
  'Ref',
  'Customer',
  'Due',
  'Units',
  'Kind',
  'Qty',
  'Width',
  'Height',
  'Length',
  'Thickness',
  'Piping',
  'Seam allowance',
  'Fabric',
];
const fields = proposeFields(columns, sheetFields(KINDS));
const row = (rest: Record<string, string> = {}): string[] => {
  const values: Record<string, string> = {
    Customer: 'Mill',
    Kind: 'Envelope cushion',
    Qty: '2',
    Width: '18',
    Height: '18',
    Fabric: 'Rushes',
    ...rest,
  };
  return columns.map((column) => values[column] ?? '');
};
const check = (...rows: string[][]) => checkSheet({ columns, rows } satisfies Sheet, fields, room);
const checkPartly = (...rows: string[][]) => checkSheet({ columns, rows } satisfies Sheet, fields, room, true);
const faultsOf = (...rows: string[][]) =>
  check(...rows).faults.map((fault) => `${columns[fault.column] ?? '-'}: ${fault.message}`);

describe('columns', () => {
  test('are known by their headings, whatever the capitals and spaces, each meaning once', () => {
    expect(fields).toEqual([
      'order',
      'customer',
      'due',
      'units',
      'kind',
      'qty',
      'value:width',
      'value:height',
      'value:length',
      'value:thickness',
      'value:piping',
      'value:seam',
      'cloth:face',
    ]);
    expect(proposeFields(['  QUANTITY ', 'Number', 'Colour', ''], sheetFields(KINDS))).toEqual(['qty', '', '', '']);
  });

  test('every measure and option of every kind has one', () => {
    const known = new Set(sheetFields(KINDS).map(({ id }) => id));
    for (const { measures, options } of KINDS)
      for (const { id } of [...measures, ...options]) expect(known).toContain(`value:${id}`);
  });
});

describe('rows', () => {
  test('of one reference make one order; without one, of the same customer and day', () => {
    const { orders, faults, goodRows } = check(
      row({ Ref: 'A', Customer: 'Mill' }),
      row({ Customer: 'Ferry', Due: '2027-02-12' }),
      row({ Ref: 'A', Customer: 'mill', Kind: 'G', Length: '46', Thickness: '3', Height: '', Piping: 'at the top' }),
      row({ Customer: 'ferry', Due: '12 Feb 2027' }),
    );
    expect(faults).toEqual([]);
    expect(goodRows).toBe(4);
    expect(orders.map(({ form, lines, rows }) => [form.customer, form.due, lines.length, rows])).toEqual([
      ['Mill', '2027-01-31', 2, [0, 2]],
      ['Ferry', '2027-02-12', 2, [1, 3]],
    ]);
    expect(orders[0]!.lines[1]!.form).toMatchObject({
      kind: 'boxed-cushion',
      qty: '2',
      choices: { piping: 'top' },
      typed: { length: '46', width: '18', thickness: '3' },
      cloth: { face: '1' },
    });
  });

  test('start with the workroom’s rules', () => {
    const { orders } = checkSheet({ columns, rows: [row({ Width: '45', Height: '45' })] }, fields, {
      ...room,
      workroom: { ...USUAL_RULES, units: 'mm', seam: '1', fit: 'snug' },
    });
    expect(orders[0]!.form.units).toBe('mm');
    expect(orders[0]!.lines[0]!.form).toMatchObject({ fit: 'snug', typed: { seam: '1', width: '45' } });
  });

  test.each([
    ['mm', '425', '400.5', 'millimetres', [425, 400.5]],
    ['Millimetres', '425', '400.5 mm', 'millimetres', [425, 400.5]],
    ['cm', '42.5', '40.05', 'mm', [425, 400.5]],
    ['in', '16 3/4', '16', 'in', [425.45, 406.4]],
    ['ft', '1 1/2', '14 in', 'in', [457.2, 355.6]],
    ['m', '0.425', '40 cm', 'mm', [425, 400]],
  ])('units “%s” are what they say: %s by %s', (units, width, height, stored, wanted) => {
    const { orders, questions, faults } = checkSheet(
      { columns, rows: [row({ Units: units, Width: width, Height: height })] },
      fields,
      room,
    );
    expect([faults, questions]).toEqual([[], []]);
    expect(orders[0]!.form.units).toBe(stored);
    const { lengths } = orders[0]!.lines[0]!;
    expect(lengths.filter(({ isMeasure }) => isMeasure).map(({ nm }) => nm / NM.mm)).toEqual(wanted);
  });

  test('a size outside the usual range of its kind is asked about, at its cell', () => {
    const { goodRows, questions } = checkSheet(
      { columns, rows: [row({ Units: 'cm', Width: '425', Height: '40' }), row({})] },
      fields,
      room,
    );
    expect(goodRows).toBe(2);
    expect(questions).toMatchObject([{ row: 0, column: columns.indexOf('Width') }]);
    expect(questions[0]!.message).toMatch(/^Width of 425 cm is unusual .* is it meant so\?$/);
  });

  test.each<[string, Record<string, string>, string]>([
    ['no customer', { Customer: '' }, 'Customer: Say who the order is for.'],
    ['a strange kind', { Kind: 'tent' }, 'Kind: “tent” is not a kind of cover that this workroom knows.'],
    ['no kind', { Kind: '' }, 'Kind: Say what kind of cover it is.'],
    ['no length', { Width: 'wide' }, 'Width: “wide” is not a length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['an open measure', { Height: '' }, 'Height: Height is needed.'],
    [
      'a day that could be two',
      { Due: '3/4/2027' },
      'Due: “3/4/2027” is not a day without doubt; write it like 2027-02-12 or 12 Feb 2027.',
    ],
    [
      'a day that is none',
      { Due: '2027-02-30' },
      'Due: “2027-02-30” is not a day without doubt; write it like 2027-02-12 or 12 Feb 2027.',
    ],
    ['strange units', { Units: 'ells' }, 'Units: “ells” is not a unit; write in, ft, cm, mm or m.'],
    ['half a cushion', { Qty: '1.5' }, 'Qty: “1.5” is not a number of covers; write a whole number from 1 to 10,000.'],
    ['a strange cloth', { Fabric: 'Gold' }, 'Fabric: “Gold” is not a cloth that this workroom keeps.'],
    [
      'an option of another kind',
      { Piping: 'none' },
      'Piping: This is not asked for on “Envelope cushion”; leave the cell empty.',
    ],
    ['a formula', { Width: '=A1*2' }, 'Width: This cell holds a formula; write its value instead.'],
    ['a size of nothing', { Width: '0' }, 'Width: Width must be more than zero.'],
  ])('with %s are shown at their cell and left out', (_, rest, message) => {
    const { orders, faults, badRows, goodRows } = checkPartly(row(), row(rest), row());
    expect(faults.map((fault) => `${columns[fault.column] ?? '-'}: ${fault.message}`)).toEqual([message]);
    expect([badRows, goodRows, orders.flatMap(({ rows }) => rows)]).toEqual([[1], 2, [0, 2]]);
  });

  test('with several faults have each shown at its cell, and none twice', () => {
    expect(
      faultsOf(row({ Customer: '', Due: '2027-13-08', Qty: '0', Width: '=B2', Height: 'tall', Fabric: 'Gold leaf' })),
    ).toEqual([
      'Width: This cell holds a formula; write its value instead.',
      'Due: “2027-13-08” is not a day without doubt; write it like 2027-02-12 or 12 Feb 2027.',
      'Customer: Say who the order is for.',
      'Fabric: “Gold leaf” is not a cloth that this workroom keeps.',
      expect.stringMatching(/^Qty: /),
      expect.stringMatching(/^Height: “tall” is not a length/),
    ]);
  });

  test('that can’t be made are shown too, at the row where the sheet has no such column', () => {
    expect(faultsOf(row({ Kind: 'zip-cushion', Width: '3' }))).toEqual([
      '-: Two closed ends of 2 in leave no opening in a cut edge of 3 in.',
    ]);
  });

  test('13/2/2027 can only be one day; empty rows are passed over', () => {
    const { orders } = check(
      row({ Due: '13/2/2027' }),
      columns.map(() => ' '),
      row({ Due: '2/13/2027' }),
    );
    expect(orders.map(({ form }) => form.due)).toEqual(['2027-02-13']);
  });

  test('of one reference but two customers are shown', () => {
    expect(faultsOf(row({ Ref: 'A' }), row({ Ref: 'A', Customer: 'Ferry' }))).toEqual([
      'Ref: Order “A” is of another customer or in other units further up.',
    ]);
  });
});

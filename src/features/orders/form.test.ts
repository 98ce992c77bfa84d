import { describe, expect, test } from 'vitest';
import { BUILT_IN, KINDS, kindById } from '@/core/covers';
import { inches, millimetres } from '@/core/length';
import { USUAL_RULES } from '@/features/workroom/form';
import { emptyLine, inOtherUnits, readLineForm, rolesOf, toFormField, type LineForm } from './form';
import { readImport, readOrderForm } from './rules';

const envelope = kindById('envelope-cushion')!;
const boxed = kindById('boxed-cushion')!;
const strapped = kindById('strapped-pad')!;

const line = (rest: Partial<LineForm> = {}): LineForm => ({
  ...emptyLine(envelope),
  typed: { width: '18', height: '16 1/2' },
  cloth: { face: '4' },
  ...rest,
});
const faultsOf = (form: LineForm) =>
  readLineForm(form, 'in', '1', BUILT_IN).faults.map(({ field, message }) => `${field}: ${message}`);

describe('a new line', () => {
  test('of any kind starts with what is usual for it and lacks only its measures and its cloth', () => {
    for (const kind of KINDS) {
      const empty = emptyLine(kind);
      expect(empty).toMatchObject({
        kind: kind.id,
        kindVersion: kind.version,
        qty: '1',
        fit: kind.defaultFit,
        typed: {},
        choices: {},
      });
      const { faults } = readLineForm(empty, 'in', '1', BUILT_IN);
      const needed = kind.measures.filter((measure) => measure.default === undefined).map(({ id }) => `typed.${id}`);
      expect(faults.map(({ field }) => field)).toEqual([...needed, 'cloth.face']);
    }
  });

  test('does as the workroom does: its seam and hem in the order’s units, its fit where the kind knows it, its grain where it asks for one', () => {
    const workroom = { ...USUAL_RULES, seam: '3/8', hem: '1/4 + 1', fit: 'overfull', grain: 'straight' } as const;
    expect(emptyLine(envelope, workroom, 'mm').typed).toEqual({ seam: '3/8 in', hem: '1/4 in + 1 in' });
    expect(emptyLine(envelope, workroom).typed).toEqual({ seam: '3/8', hem: '1/4 + 1' });
    expect(emptyLine(boxed, workroom).choices).toEqual({ grain: 'straight' });
    expect(emptyLine(envelope, workroom).choices).toEqual({});
    for (const kind of KINDS) {
      const { fit, typed } = emptyLine(kind, workroom);
      expect(fit).toBe(kind.allowance.overfull === undefined ? kind.defaultFit : 'overfull');
      // Books, sleeves and straps have small seams of their own.
      expect(typed.seam === undefined).toBe(
        !(kind.options.some(({ id }) => id === 'seam') && /pad|block|round|bolster|stool/.test(kind.object)),
      );
    }
  });
});

describe('a line as it is typed', () => {
  test('is read with its lengths kept beside their texts, a hem turn by turn', () => {
    const form = line({
      qty: ' 12 ',
      typed: { width: ' 18 ', height: '40 cm', hem: '1/4 + 1', seam: '' },
      cloth: { face: '4', back: '' },
    });
    const { line: read, lengths, faults } = readLineForm(form, 'in', '7', BUILT_IN);
    expect(faults).toEqual([]);
    expect(read).toMatchObject({
      id: '7',
      qty: 12,
      measures: { width: inches(18), height: millimetres(400) },
      options: { hem: [inches(0.25), inches(1)] },
      cloth: { face: '4' },
    });
    expect(read.options).not.toHaveProperty('seam');
    expect(lengths.map(({ name, part, isMeasure, typed }) => [name, part, isMeasure, typed])).toEqual([
      ['width', 0, true, '18'],
      ['height', 0, true, '40 cm'],
      ['hem', 0, false, '1/4'],
      ['hem', 1, false, '1'],
    ]);
  });

  test('in centimetres plain numbers are centimetres', () => {
    const { line: read } = readLineForm(line({ typed: { width: '45', height: '18 in' } }), 'mm', '1', BUILT_IN);
    expect(read.measures).toEqual({ width: millimetres(450), height: inches(18) });
  });

  test.each<[string, Partial<LineForm>, string[]]>([
    ['no number', { qty: 'two' }, ['qty: “two” is not a number of covers; write a whole number from 1 to 10,000.']],
    ['none of them', { qty: '0' }, ['qty: “0” is not a number of covers; write a whole number from 1 to 10,000.']],
    ['too many', { qty: '10001' }, ['qty: “10001” is not a number of covers; write a whole number from 1 to 10,000.']],
    ['a strange kind', { kind: 'tent' }, ['kind: “tent” is not a cover kind.']],
    ['no cloth', { cloth: {} }, ['cloth.face: Choose the cloth.']],
    ['an open measure', { typed: { width: '18', height: ' ' } }, ['typed.height: Height is needed.']],
    [
      'nothing but faults',
      { qty: '', typed: {}, cloth: {} },
      [
        'qty: “” is not a number of covers; write a whole number from 1 to 10,000.',
        'typed.width: Width is needed.',
        'typed.height: Height is needed.',
        'cloth.face: Choose the cloth.',
      ],
    ],
  ])('%s is shown at its field', (_, rest, expected) => expect(faultsOf(line(rest))).toEqual(expected));

  test('a length that is none is shown where it stands, also in one turn of a hem, which is then left out', () => {
    expect(faultsOf(line({ typed: { width: 'wide', height: '16' } }))).toEqual([
      expect.stringMatching(/^typed\.width: “wide” is not a length/),
    ]);
    const { line: read, faults } = readLineForm(
      line({ typed: { width: '18', height: '16', hem: '1/4 + x' } }),
      'in',
      '1',
      BUILT_IN,
    );
    expect(faults).toEqual([expect.objectContaining({ field: 'typed.hem' })]);
    expect(read.options).toEqual({});
  });

  test('an option that is not asked for as things stand is not read: no cord without piping', () => {
    const boxedLine = (choices: Record<string, string>) => ({
      ...line(),
      ...emptyLine(boxed),
      choices,
      typed: { length: '40', width: '20', thickness: '3', cord: 'thick' },
      cloth: { face: '4' },
    });
    expect(faultsOf(boxedLine({ piping: 'none' }))).toEqual([]);
    expect(faultsOf(boxedLine({ piping: 'top' }))).toEqual([
      expect.stringMatching(/^typed\.cord: “thick” is not a length/),
    ]);
  });

  test('counts are whole numbers to a hundred', () => {
    const count = strapped.options.find(({ type }) => type === 'count')!;
    const strappedLine = (amount: string) => ({
      ...line(),
      ...emptyLine(strapped),
      choices: { [count.id]: amount },
      typed: Object.fromEntries(strapped.measures.map(({ id }) => [id, '15'])),
      cloth: { face: '4' },
    });
    const { line: read, faults } = readLineForm(strappedLine(' 6 '), 'in', '1', BUILT_IN);
    expect(faults).toEqual([]);
    expect(read.options).toEqual({ [count.id]: 6 });
    for (const amount of ['101', '-1', '2.5', 'few'])
      expect(faultsOf(strappedLine(amount))).toEqual([
        `choices.${count.id}: “${amount}” is not a number of ${count.label.toLowerCase()}; write a whole number from 0 to 100.`,
      ]);
  });

  test('a traced outline stands for the measures that it tells', () => {
    const traced = KINDS.find(({ outline }) => outline)!;
    const { across, along } = traced.outline!;
    const others = traced.measures.filter(({ id }) => id !== across && id !== along);
    const form = {
      ...line(),
      ...emptyLine(traced),
      outline: '0, 0\n12 1/2, 0; 12, 10\n0, 10',
      typed: Object.fromEntries(others.map(({ id }) => [id, '2'])),
      cloth: { face: '4' },
    };
    const { line: read, faults } = readLineForm(form, 'in', '1', BUILT_IN);
    expect(faults).toEqual([]);
    expect(read.outline).toEqual([
      [0, 0],
      [inches(12.5), 0],
      [inches(12), inches(10)],
      [0, inches(10)],
    ]);
    expect(faultsOf({ ...form, outline: '0, 0\nhere\n3, 3' })).toEqual([
      'outline: “here” is not a corner; write it like 12 1/2, 3.',
    ]);
  });
});

describe('the cloths that a line may take', () => {
  test('are face first, then what its parts ask for; piping only when there is some', () => {
    expect(rolesOf(boxed, { piping: 'none' })).not.toContain('welt');
    expect(rolesOf(boxed, { piping: 'top' })).toContain('welt');
    for (const kind of KINDS) {
      const roles = rolesOf(kind, {});
      expect(roles[0]).toBe('face');
      expect(new Set(roles).size).toBe(roles.length);
      for (const material of ['foam', 'board', 'batting'] as const) expect(roles).not.toContain(material);
    }
  });
});

describe('an order that is measured in other units from now on', () => {
  const lengths = (form: LineForm, units: 'in' | 'mm') => {
    const read = readLineForm(form, units, '1', BUILT_IN);
    expect(read.faults).toEqual([]);
    return { lengths: read.lengths.map(({ name, part, nm }) => [name, part, nm]), outline: read.line.outline };
  };
  const traced: LineForm = {
    ...emptyLine(strapped),
    typed: { thickness: '2' },
    cloth: { face: '4' },
    outline: '0, 0\n16, 0\n14 1/2, 15\n1 1/2, 15',
  };

  test.each([
    ['plain sizes', line({ typed: { width: '18', height: '16 1/2', hem: '1/4 + 1' } })],
    ['sizes that name their unit', line({ typed: { width: '50 cm', height: `1' 6"` } })],
    ['corners', traced],
    ['offsets from a centre line', { ...traced, outline: 'offsets, smooth\n0: 9, 9\n8: 10, 10 corner\n16: 8, 8 1/2' }],
  ])('keeps %s as long as they are, there and back again', (_, form) => {
    const there = inOtherUnits(form, 'in', 'mm');
    expect(lengths(there, 'mm')).toEqual(lengths(form, 'in'));
    expect(lengths(inOtherUnits(there, 'mm', 'in'), 'in')).toEqual(lengths(form, 'in'));
  });

  test('leaves what is no length as it was typed, to be shown at its field', () => {
    const odd = inOtherUnits(line({ typed: { width: 'wide', height: '' } }), 'in', 'mm');
    expect(odd.typed.height).toBe('');
    expect(faultsOf(odd).find((text) => text.startsWith('typed.width'))).toContain('wide');
  });

  test('has nothing to do where the units are the same', () => {
    const form = line();
    expect(inOtherUnits(form, 'in', 'in')).toBe(form);
  });
});

test('faults of the cut list come to the form’s fields', () => {
  const at = (field: string, kind = boxed) => toFormField({ code: 'x', field, message: 'm' }, kind).field;
  expect(at('1.measures.width')).toBe('typed.width');
  expect(at('1.options.cord')).toBe('typed.cord');
  expect(at('1.options.piping')).toBe('choices.piping');
  expect(at('1.qty')).toBe('qty');
  expect(at('1.measures.outline', strapped)).toBe('outline');
});

describe('an order as its form sends it', () => {
  const order = (rest: object = {}) => ({
    customer: ' Tram shed ',
    due: '2027-03-01',
    units: 'in',
    notes: '',
    lines: [line()],
    ...rest,
  });

  test('is taken with its customer’s name tidied and what it does not know left out', () => {
    const read = readOrderForm(order({ colour: 'green' }));
    expect(read).toEqual({ value: { ...order(), customer: 'Tram shed' } });
  });

  test.each<[string, object, string]>([
    ['nobody', { customer: '  ' }, 'customer: Say who the order is for.'],
    ['a name beyond all', { customer: 'x'.repeat(121) }, 'customer: A customer’s name has at most 120 letters.'],
    ['no day', { due: 'soon' }, 'due: Choose the day when it is due.'],
    ['a day that is none', { due: '2027-02-30' }, 'due: Choose the day when it is due.'],
    ['a moment for a day', { due: '2027-03-01T10:00:00Z' }, 'due: Choose the day when it is due.'],
    ['notes beyond all', { notes: 'n'.repeat(4001) }, 'notes: Notes have at most 4,000 letters.'],
    ['no lines', { lines: [] }, 'lines: An order needs at least one line.'],
    ['too many lines', { lines: Array(501).fill(line()) }, 'lines: An order has at most 500 lines.'],
  ])('with %s is refused at its field', (_, rest, expected) => {
    const read = readOrderForm(order(rest));
    if ('value' in read) throw new Error('it was taken');
    expect(read.faults.map(({ field, message }) => `${field}: ${message}`)).toEqual([expected]);
  });

  test('with a fault in a line names the line', () => {
    const read = readOrderForm(order({ lines: [line(), { ...line(), fit: 'loose' }] }));
    expect(read).toMatchObject({ faults: [{ field: 'lines.1.fit' }] });
  });
});

describe('a sheet as the import page sends it', () => {
  test('is taken when it is a table with its columns', () => {
    const sheet = {
      columns: ['Kind', 'Width'],
      rows: [
        ['A', '16'],
        ['G', ''],
      ],
    };
    expect(readImport(JSON.stringify({ sheet, fields: ['kind', 'value:width'] }))).toEqual({
      value: { sheet, fields: ['kind', 'value:width'], isPartial: false, isMeant: false },
    });
  });

  test.each([
    ['no JSON', '{'],
    ['another thing', '{"sheet":[]}'],
    ['numbers for texts', '{"sheet":{"columns":["a"],"rows":[[1]]},"fields":[""]}'],
    ['too many columns', JSON.stringify({ sheet: { columns: Array(201).fill('a'), rows: [] }, fields: [] })],
    ['too many rows', JSON.stringify({ sheet: { columns: ['a'], rows: Array(10_001).fill(['x']) }, fields: [''] })],
    ['a cell beyond all', JSON.stringify({ sheet: { columns: ['a'], rows: [['x'.repeat(4001)]] }, fields: [''] })],
  ])('%s is refused in one sentence', (_, json) =>
    expect(readImport(json)).toEqual({
      faults: [{ code: 'sheet', field: 'file', message: 'This is not a table with its columns.' }],
    }),
  );
});

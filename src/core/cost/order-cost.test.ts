import fc from 'fast-check';
import { applyTransition, canHappen } from '../transitions';
import { describe, expect, test } from 'vitest';
import {
  costDifferences,
  costSheet,
  labourOf,
  partOf,
  QUOTE_EVENTS,
  QUOTE_STATES,
  QUOTE_TRANSITIONS,
  USUAL_COSTING,
  type Costing,
} from '.';

const costing: Costing = {
  ...USUAL_COSTING,
  hourMinor: 2400,
  minutes: { 'zip-cushion': 25 },
  overheadPart: 0.15,
  markupPart: 0.3,
  taxName: 'Sales tax',
  taxPart: 0.2,
};
const takes = {
  materials: [
    { part: 'cloth' as const, what: 'Heron reed', sum: '2 yd', amount: 5360, currency: 'GBP' },
    { part: 'notions' as const, what: 'zip 14 in', sum: '4 × £0.85', amount: 340, currency: 'GBP' },
  ],
  labour: [
    { kind: 'zip-cushion', name: 'Cushion', qty: 4 },
    { kind: 'own-1', name: 'Headrest', qty: 1 },
  ],
  unpriced: [],
};

describe('the cost of an order', () => {
  test('cloth, notions, minutes at a rate, overhead, markup, tax: worked by hand', () => {
    // Common practice, no source. 100 min at 24.00 an hour 40.00, 30 min 12.00; with 57.00 of materials 109.00.
    const sheet = costSheet(takes, costing);
    expect(sheet.lines.map(({ part, amount }) => [part, amount])).toEqual([
      ['cloth', 5360],
      ['notions', 340],
      ['labour', 4000],
      ['labour', 1200],
      // 15 % of 109.00, then 30 % of 125.35, then 20 % of 162.96.
      ['overhead', 1635],
      ['markup', 3761],
      ['tax', 3259],
    ]);
    expect(sheet).toMatchObject({ net: 16296, total: 19555, missing: [] });
  });

  test('each line has its part of the net price, by its labour and its cloth; together they are it exactly', () => {
    // Worked by hand: the cloth of 53.60 goes 3 to 1 by area, so 40.20 and 13.40; with labour 80.20 and 25.40 of 105.60.
    const [cushion, headrest] = takes.labour;
    const labour = [
      { ...cushion!, areas: { 'Heron reed': 300 } },
      { ...headrest!, areas: { 'Heron reed': 100 } },
    ];
    const { made, net } = costSheet({ ...takes, labour }, costing);
    expect(net).toBe(16296);
    expect(made.map(({ amount }) => amount)).toEqual([Math.round((16296 * 8020) / 10560), 16296 - 12376]);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(9), fc.nat(1000)), { minLength: 1, maxLength: 8 }), (rows) => {
        const lines = rows.map(([qty, area]) => ({ kind: 'x', name: 'x', qty, areas: { 'Heron reed': area } }));
        const sheet = costSheet({ ...takes, labour: lines }, costing);
        expect(sheet.made.reduce((sum, { amount }) => sum + amount!, 0)).toBe(sheet.net);
      }),
    );
  });

  test('what has another currency or no price is not in the sum, and is said', () => {
    const sheet = costSheet(
      {
        materials: [...takes.materials, { part: 'cloth', what: 'Moquette', sum: '', amount: 999, currency: 'EUR' }],
        labour: [],
        unpriced: [{ name: 'cord', isLaid: false }],
      },
      { ...costing, overheadPart: 0, markupPart: 0, taxName: '' },
    );
    expect(sheet.total).toBe(5700);
    expect(sheet.missing).toEqual(['Moquette: priced in EUR', 'cord: no price']);
  });

  test('a workroom that charges no hours and no parts has cloth and notions alone', () => {
    expect(costSheet(takes, USUAL_COSTING).lines.map(({ part }) => part)).toEqual(['cloth', 'notions']);
  });

  test('whatever the parts, the lines add up to the totals in whole units, and tax is on the net alone', () => {
    const part = fc.double({ min: 0, max: 3, noNaN: true });
    const amount = fc.integer({ min: 0, max: 5_000_000 });
    fc.assert(
      fc.property(
        fc.array(amount, { maxLength: 8 }),
        part,
        part,
        part,
        fc.integer({ min: 0, max: 20_000 }),
        (amounts, overheadPart, markupPart, taxPart, hourMinor) => {
          const sheet = costSheet(
            {
              ...takes,
              materials: amounts.map((one, i) => ({
                part: 'cloth',
                what: `c${i}`,
                sum: '',
                amount: one,
                currency: 'GBP',
              })),
            },
            { ...costing, overheadPart, markupPart, taxPart, hourMinor },
          );
          const sum = (lines: typeof sheet.lines) => lines.reduce((all, line) => all + line.amount, 0);
          expect(sum(sheet.lines)).toBe(sheet.total);
          expect(sum(sheet.lines.filter((line) => line.part !== 'tax'))).toBe(sheet.net);
          expect(sheet.lines.every((line) => Number.isSafeInteger(line.amount) && line.amount >= 0)).toBe(true);
        },
      ),
    );
  });

  test('rounds half up to the minor unit', () => {
    expect(partOf(333, 0.15)).toBe(50);
    expect(partOf(30, 0.05)).toBe(2);
    expect(labourOf(7, 2450)).toBe(286);
  });

  test('the difference between quoted and calculated, line by line, adds up to the difference of the totals', () => {
    const quoted = costSheet(takes, costing);
    const after = costSheet(
      {
        ...takes,
        materials: [
          ...takes.materials.slice(1),
          { part: 'cloth', what: 'Heron reed', sum: '', amount: 6100, currency: 'GBP' },
          { part: 'recuts', what: 'front, cut again', sum: '', amount: 700, currency: 'GBP' },
        ],
      },
      costing,
    );
    const rows = costDifferences(quoted, after);
    expect(rows.slice(0, 2)).toEqual([
      { part: 'cloth', what: 'Heron reed', before: 5360, after: 6100 },
      { part: 'notions', what: 'zip 14 in', before: 340, after: 340 },
    ]);
    expect(rows.find(({ part }) => part === 'recuts')).toMatchObject({ before: 0, after: 700 });
    expect(rows.reduce((sum, row) => sum + row.after - row.before, 0)).toBe(after.total - quoted.total);
  });
});

describe('the states of a quote', () => {
  const ALLOWED = [
    'draft edit draft',
    'draft send sent',
    'sent accept accepted',
    'sent decline declined',
    'draft delete null',
  ];
  test.each(QUOTE_STATES.flatMap((state) => QUOTE_EVENTS.map((event) => [state, event] as const)))(
    'from %s, %s',
    (state, event) => {
      const to = QUOTE_TRANSITIONS[event].to;
      const isAllowed = ALLOWED.includes(`${state} ${event} ${to}`);
      expect(canHappen(QUOTE_TRANSITIONS, state, event)).toBe(isAllowed);
      if (!isAllowed) expect(applyTransition(QUOTE_TRANSITIONS, state, event).refusal).toMatch(/^[A-Z].*\.$/);
    },
  );
});

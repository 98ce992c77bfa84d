import { expect, test } from 'vitest';
import { costSheet, USUAL_COSTING } from '@/core/cost';
import { makeUpOf } from './make-up';

test('the parts of a cost, in their order, add up to the whole; yen have no cents', () => {
  const takes = (currency: string) => ({
    materials: [
      { part: 'notions' as const, what: 'zip', sum: '', amount: 300, currency },
      { part: 'cloth' as const, what: 'a', sum: '', amount: 1_000, currency },
      { part: 'cloth' as const, what: 'b', sum: '', amount: 500, currency },
    ],
    labour: [],
    unpriced: [],
  });
  const sheet = costSheet(takes('GBP'), { ...USUAL_COSTING, markupPart: 0.5 });
  const { rows } = makeUpOf(sheet);
  expect(rows.map(({ values }) => values[0])).toEqual([15, 3, 9]);
  expect(rows.reduce((sum, { values }) => sum + values[0]!, 0)).toBe(sheet.total / 100);
  expect(makeUpOf(costSheet(takes('JPY'), { ...USUAL_COSTING, currency: 'JPY' })).rows[0]!.values).toEqual([1_500]);
});

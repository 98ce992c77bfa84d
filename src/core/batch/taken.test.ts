import { describe, expect, test } from 'vitest';
import type { Cloth } from '../cloth';
import type { LayPlan } from '../lay';
import { jobOf } from '../lay/testing';
import { inches, NM, type Nm } from '../length';
import { takenBy, wasteOf } from './batch';
import { DRILL, pricedItem } from './testing';

// Takings of a plan from the shelf and the shop with their cost, and the cloth that becomes nothing.

const lays = (...used: [stock: string, used: Nm][]) => ({
  lays: used.map(([stock, length]) => ({ stock, used: length, placed: [], cuts: [] })),
});

describe('what a plan takes', () => {
  test('without a shelf all is bought, in the shop’s steps', () => {
    const { cost, bought } = takenBy(DRILL, [], lays(['roll', inches(46)]));
    // 46 in is sold as 54 in, a yard and a half.
    expect([bought, cost]).toEqual([inches(54), 2700]);
  });

  test('each item costs what was paid for it, by its length', () => {
    const { uses, cost, bought } = takenBy(
      DRILL,
      [pricedItem('R7', 1, 900), pricedItem('B12', 20, 1200)],
      lays(['R7', inches(18)], ['B12', inches(72)]),
    );
    expect(uses.map(({ code, costMinor }) => [code, costMinor])).toEqual([
      ['R7', 450],
      ['B12', 2400],
    ]);
    expect([cost, bought]).toEqual([2850, inches(90)]);
  });

  test('an item that was paid in another currency counts at the cloth’s price', () => {
    expect(takenBy(DRILL, [pricedItem('B12', 20, 5, 'EUR')], lays(['B12', NM.yd])).cost).toBe(1800);
  });

  test('what the shelf lacks is bought beside it, in steps', () => {
    const { uses, cost } = takenBy(DRILL, [pricedItem('B12', 1, 1200)], lays(['B12', NM.yd], ['to buy', inches(10)]));
    expect(uses.at(-1)).toMatchObject({ itemId: null, short: inches(10) });
    // 10 in is sold as half a yard.
    expect(cost).toBe(1200 + 900);
  });

  test('sheets are bought whole, each that is touched', () => {
    const foam: Cloth = { ...DRILL, sheetLength: inches(80), price: { minor: 3600, currency: 'GBP', per: 'yd' } };
    const { uses, cost } = takenBy(foam, [], lays(['sheet 1', inches(80)], ['sheet 2', inches(3)], ['sheet 3', 0]));
    expect(uses).toHaveLength(2);
    expect(uses.every(({ short }) => short === inches(80))).toBe(true);
    expect(cost).toBe(2 * Math.round((3600 * 80) / 36));
  });
});

describe('waste', () => {
  const job = jobOf({
    pieces: [
      { id: 'a', size: [53, 10], qty: 2 },
      { id: 'b', size: [10, 10], qty: 1 },
    ],
    strips: [{ id: 's', width: 2, length: 53, grain: 'across', loss: 1 }],
  });
  const plan = (used: number, unplaced: LayPlan['unplaced'] = []) => ({ ...lays(['roll', inches(used)]), unplaced });

  test('is what no piece and no strip takes of the usable width', () => {
    // 53 in wide: two pieces of 53 x 10, one of 10 x 10, a strip of 53 x 2.
    const taken = 2 * 530 + 100 + 106;
    expect(wasteOf(job, plan(32))).toBeCloseTo(1 - taken / (53 * 32), 9);
  });

  test('what found no place counts as not taken', () => {
    const without = plan(32, [
      { piece: 'b', copy: 1, why: 'x' },
      { strip: 's', copy: 1, why: 'x' },
    ]);
    expect(wasteOf(job, without)).toBeCloseTo(1 - (2 * 530) / (53 * 32), 9);
  });

  test('cloth of which nothing is left has none', () => {
    const whole = jobOf({ pieces: [{ id: 'a', size: [53, 10], qty: 2 }] });
    expect(wasteOf(whole, plan(20))).toBe(0);
  });
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches, NM } from '../length';
import { boughtLength, costOf, printMoney, sharesByArea, sharesByLength, wasteShare, type OrderNeed } from './index';

const gbp = (minor: number, per: 'yd' | 'm' = 'yd') => ({ price: { minor, currency: 'GBP', per } });

describe('what is bought', () => {
  test('rounds up to the selling step, never down', () => {
    expect(boughtLength(inches(37), inches(4.5))).toBe(inches(40.5));
    expect(boughtLength(inches(36), inches(4.5))).toBe(inches(36));
    expect(boughtLength(1, inches(9))).toBe(inches(9));
    expect(boughtLength(inches(37), 0)).toBe(inches(37));
  });

  test('costs by the yard or the metre, to the cent', () => {
    expect(costOf(inches(54), gbp(1999))).toBe(2999); // 1.5 yd at 19.99 = 29.985
    expect(costOf(2.5 * NM.m, gbp(1250, 'm'))).toBe(3125);
    expect(costOf(0, gbp(1250))).toBe(0);
  });

  test('waste is what the pieces leave of the used area', () => {
    expect(wasteShare(inches(10) * inches(53), inches(53) * inches(8))).toBeCloseTo(0.2, 12);
    expect(wasteShare(0, 0)).toBe(0);
  });

  test('prints money', () => expect(printMoney(120_405, 'GBP')).toBe('£1,204.05'));
});

describe('shares of a batch', () => {
  const need = (aloneLength: number, aloneCost: number, area = aloneLength): OrderNeed => ({
    aloneLength,
    aloneCost,
    area,
  });

  test('by length: in proportion to what each would have needed alone', () => {
    expect(sharesByLength(9000, [need(100, 4000), need(200, 8000)])).toEqual([3000, 6000]);
  });

  test('nobody pays more than alone: the excess goes to the others', () => {
    expect(sharesByLength(11_000, [need(100, 3600), need(200, 8000)])).toEqual([3600, 7400]);
  });

  test('odd cents go to the largest remainders', () => {
    expect(sharesByLength(100, [need(1, 100), need(1, 100), need(1, 100)])).toEqual([34, 33, 33]);
    expect(sharesByArea(100, [need(0, 0, 1), need(0, 0, 2)])).toEqual([33, 67]);
    expect(sharesByArea(10, [need(0, 0, 0), need(0, 0, 0)])).toEqual([5, 5]);
  });

  const needs = fc.array(
    fc
      .record({ length: fc.integer({ min: 1, max: 10_000 }), extra: fc.integer({ min: 0, max: 50 }) })
      .map(({ length, extra }) => need(length, length + extra)),
    { minLength: 1, maxLength: 12 },
  );

  test('add up to the total to the cent, and stay within each order’s own cost while the batch saves', () => {
    fc.assert(
      fc.property(needs, fc.double({ min: 0, max: 1.3, noNaN: true }), (all, part) => {
        const together = all.reduce((sum, { aloneCost }) => sum + aloneCost, 0);
        const total = Math.round(together * part);
        const shares = sharesByLength(total, all);
        expect(shares.reduce((a, b) => a + b, 0)).toBe(total);
        expect(shares.every((share) => Number.isInteger(share) && share >= 0)).toBe(true);
        if (total <= together) shares.forEach((share, i) => expect(share).toBeLessThanOrEqual(all[i]!.aloneCost));
        expect(sharesByArea(total, all).reduce((a, b) => a + b, 0)).toBe(total);
      }),
    );
  });
});

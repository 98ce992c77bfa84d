import fc from 'fast-check';
import { expect, test } from 'vitest';
import { inches, NM } from '../length';
import { remnantPrice, worthOf } from './worth';

test('a length is worth its part of the price, rounded half up, also what is counted away', () => {
  // By hand: 18 in of £12.35 a yard are £6.175.
  expect(worthOf(inches(18), { priceMinor: 1235, pricePer: 'yd' })).toBe(618);
  expect(worthOf(-inches(18), { priceMinor: 1235, pricePer: 'yd' })).toBe(-618);
  expect(worthOf(7, { priceMinor: 720, pricePer: 'pack', packSize: 50 })).toBe(101);
  expect(worthOf(0, { priceMinor: 720, pricePer: 'm' })).toBe(0);
  // Half of a remnant that was kept for £4.01.
  expect(worthOf(NM.m, { priceMinor: 401, pricePer: 'whole', lengthNm: 2 * NM.m })).toBe(201);
});

test('a remnant is never worth more than the length that left its bolt for it, and less by no whole minor unit', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 40_000_000_000 }),
      fc.integer({ min: 0, max: 500_000 }),
      fc.integer({ min: 1, max: 20_000_000_000 }),
      (kept, priceMinor, along) => {
        const left = (kept * priceMinor) / NM.yd;
        const remnant = { ...remnantPrice(kept, { priceMinor, pricePer: 'yd' }), lengthNm: along };
        const worth = worthOf(along, remnant);
        expect(worth).toBeLessThanOrEqual(left + 1e-3);
        expect(worth).toBeGreaterThan(left - 1.001);
      },
    ),
  );
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches, NM } from '@/core/length';
import { worthOf } from '@/core/stock';
import { amountField, amountText, readAmount } from './amount';

const inInches = { isLength: true, units: 'in' } as const;
const inMetres = { isLength: true, units: 'mm' } as const;
const pieces = { isLength: false, units: 'in' } as const;

describe('a quantity as it is said', () => {
  test.each([
    [12 * NM.yd, inInches, '12 yd'],
    [3 * NM.yd + inches(4.5), inInches, '3 yd 4 1/2 in'],
    [2.5 * NM.m, inMetres, '2.5 m'],
    [1234, pieces, '1,234'],
    [-NM.yd, inInches, '− 1 yd'],
    [-7, pieces, '− 7'],
  ])('%d is “%s”', (quantity, counted, text) => {
    expect(amountText(quantity, counted)).toBe(text);
  });

  test('what a field shows is read as the same to a sixty-fourth of an inch, a tenth of a millimetre, or exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50 * NM.yd }), (quantity) => {
        for (const [counted, most] of [
          [inInches, inches(1) / 32],
          [inMetres, NM.mm],
        ] as const) {
          const read = readAmount(amountField(quantity, counted), counted);
          if ('message' in read) throw new Error(read.message);
          expect(Math.abs(read.value - quantity)).toBeLessThanOrEqual(most);
        }
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999_999 }), (quantity) => {
        expect(readAmount(amountField(quantity, pieces), pieces)).toEqual({ value: quantity });
      }),
    );
  });
});

describe('a quantity as it is typed', () => {
  test.each([
    ['0', inInches, 0],
    ['00', inMetres, 0],
    ['12 yd', inInches, 12 * NM.yd],
    ['36', inInches, NM.yd],
    ['150', inMetres, 1.5 * NM.m],
    [' 40 ', pieces, 40],
    ['0', pieces, 0],
  ])('“%s” is read', (text, counted, value) => {
    expect(readAmount(text, counted)).toEqual({ value });
  });

  test.each([
    ['some', inInches],
    ['', inInches],
    ['', pieces],
    ['1.5', pieces],
    ['-3', pieces],
    ['1e3', pieces],
    ['9999999999', pieces],
  ])('“%s” is refused in a sentence', (text, counted) => {
    const read = readAmount(text, counted);
    expect('message' in read && read.message).toMatch(/^[A-Z“].*\.$/);
  });
});

describe('what a quantity is worth', () => {
  const price = (priceMinor: number, pricePer: 'yd' | 'm' | 'piece' | 'pack' | 'sheet', packSize = 1) => ({
    priceMinor,
    pricePer,
    packSize,
  });

  test.each([
    [3 * NM.yd, price(1000, 'yd'), 3000],
    [0.5 * NM.yd, price(1450, 'yd'), 725],
    [2 * NM.m, price(1999, 'm'), 3998],
    [NM.yd, price(1000, 'm'), 914],
    [7, price(85, 'piece'), 595],
    [250, price(400, 'pack', 100), 1000],
    [3, price(2800, 'sheet'), 8400],
    // Half a penny is rounded up, of what is missing too.
    [0.5 * NM.yd, price(1, 'yd'), 1],
    [-0.5 * NM.yd, price(1, 'yd'), -1],
    [0, price(1000, 'yd'), 0],
  ])('%d at that price', (quantity, of, minor) => {
    expect(worthOf(quantity, of)).toBe(minor);
    expect(Object.is(worthOf(quantity, of), -0)).toBe(false);
  });

  test('two parts are worth what the whole is, to a minor unit', () => {
    const amount = fc.integer({ min: 0, max: 20 * NM.yd });
    fc.assert(
      fc.property(amount, amount, fc.integer({ min: 0, max: 20_000 }), (one, other, minor) => {
        const of = price(minor, 'yd');
        expect(Math.abs(worthOf(one, of) + worthOf(other, of) - worthOf(one + other, of))).toBeLessThanOrEqual(1);
      }),
    );
  });
});

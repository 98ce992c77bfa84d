import { describe, expect, test } from 'vitest';
import { exponentOf, parseAmount, printMoney, writeAmount } from './money';

describe('money in whole minor units', () => {
  // ISO 4217, as the platform's Intl knows it.
  test.each([
    ['GBP', 2],
    ['EUR', 2],
    ['JPY', 0],
    ['KWD', 3],
  ])('%s has %s decimals', (currency, exponent) => {
    expect(exponentOf(currency)).toBe(exponent);
  });

  test('yen have none: a price of 1200 is 1200, not 12', () => {
    expect(parseAmount('1200', 'JPY')).toBe(1200);
    expect(parseAmount('1200.50', 'JPY')).toBeNull();
    expect(writeAmount(1200, 'JPY')).toBe('1200');
    expect(printMoney(1200, 'JPY')).toBe('JP¥1,200');
  });

  test('what is written reads back, in every exponent', () => {
    for (const currency of ['GBP', 'JPY', 'KWD'])
      for (const minor of [0, 1, 99, 100, 12345])
        expect(parseAmount(writeAmount(minor, currency), currency)).toBe(minor);
    expect([
      parseAmount('24,5', 'GBP'),
      parseAmount('.5', 'GBP'),
      parseAmount('-1', 'GBP'),
      parseAmount('1e3', 'GBP'),
    ]).toEqual([2450, null, null, null]);
  });
});

import fc from 'fast-check';
import Fraction from 'fraction.js';
import { describe, expect, test } from 'vitest';
import { NM, parseLength, printBoth, printLength, printNumber, printYards, type LengthUnit } from './index';

const read = (text: string, unit: LengthUnit = 'in') => {
  const result = parseLength(text, unit, 'width');
  if (!result.ok) throw new Error(result.faults[0]!.message);
  return result.value;
};

const refused = (text: string, unit: LengthUnit = 'in') => {
  const result = parseLength(text, unit, 'width');
  expect(result.ok, `${text} should be refused`).toBe(false);
  if (result.ok) throw new Error('unreachable');
  expect(result.faults).toHaveLength(1);
  expect(result.faults[0]!.field).toBe('width');
  return result.faults[0]!;
};

describe('definitions', () => {
  test('the yard is exactly 0.9144 m (international yard and pound agreement, 1959)', () => {
    expect(NM.yd).toBe(0.9144 * 1e9);
    expect(NM.ft * 3).toBe(NM.yd);
    expect(NM.in * 36).toBe(NM.yd);
    expect(NM.in).toBe(25.4 * NM.mm);
    expect(NM.m).toBe(1000 * NM.mm);
    expect(NM.cm).toBe(10 * NM.mm);
  });

  test('1/64 in is a whole number of nanometres', () => expect(NM.in / 64).toBe(396_875));
});

describe('reading what people write', () => {
  test.each<[string, number]>([
    ['13 5/8', 13.625 * NM.in],
    ['13-5/8', 13.625 * NM.in],
    ['13⅝', 13.625 * NM.in],
    ['13 ⅝', 13.625 * NM.in],
    ['13 5⁄8', 13.625 * NM.in],
    ['13.625', 13.625 * NM.in],
    ['13 5/8"', 13.625 * NM.in],
    ['13 5/8 in', 13.625 * NM.in],
    ['13 5/8”', 13.625 * NM.in],
    ['5/8', 0.625 * NM.in],
    ['½', 0.5 * NM.in],
    ['.5', 0.5 * NM.in],
    [`2' 6"`, 30 * NM.in],
    [`2'6`, 30 * NM.in],
    [`2' 6 1/2"`, 30.5 * NM.in],
    ['2 ft 6 in', 30 * NM.in],
    ['33.5 cm', 335 * NM.mm],
    ['33,5 cm', 335 * NM.mm],
    ['5mm', 5 * NM.mm],
    ['1 m 20', 1200 * NM.mm],
    ['1 m 20 cm', 1200 * NM.mm],
    ['1.2 m', 1200 * NM.mm],
    ['3 1/2 yd', 126 * NM.in],
    ['1 yd 6', 42 * NM.in],
    ['1 yd 2 ft 6 in', 66 * NM.in],
    ['12 cm 5', 125 * NM.mm],
    ['  20  ', 20 * NM.in],
    ['0', 0],
    ['1/3 yd', 12 * NM.in],
  ])('%s', (text, length) => expect(read(text)).toBe(length));

  test('a bare number is in the unit asked for', () => {
    expect(read('42', 'cm')).toBe(420 * NM.mm);
    expect(read('42', 'mm')).toBe(42 * NM.mm);
    expect(read('42 1/2', 'in')).toBe(42.5 * NM.in);
  });

  test.each([
    'abc',
    '12 apples',
    '5/0',
    '1 2',
    '3 4 cm',
    '12 in 2 yd',
    '--3',
    '1..2',
    '13 5/8 7/8',
    '1e9',
    'NaN',
    "6' 2' 1",
    '1 yd 2 3',
    '/',
    '12 in 3',
  ])('refuses %s and names it', (text) => expect(refused(text).message).toContain(text.split(' ').at(-1)!));

  test('refuses a negative, a missing, a huge and an ambiguous length in words', () => {
    expect(refused('-4').code).toBe('length-negative');
    expect(refused('  ').code).toBe('length-missing');
    expect(refused('2000000 in').code).toBe('length-huge');
    expect(refused('1,200').message).toContain('without the comma');
    expect(refused('9'.repeat(70)).message).toContain('too long');
  });

  test('agrees with a fraction library on mixed numbers', () => {
    fc.assert(
      fc.property(
        fc.nat(500),
        fc.nat(63),
        fc.integer({ min: 1, max: 64 }),
        fc.constantFrom<LengthUnit>('in', 'ft', 'yd'),
        (whole, over, under, unit) => {
          const expected = new Fraction(whole).add(over, under).mul(NM[unit]).round();
          expect(read(`${whole} ${over}/${under} ${unit}`)).toBe(Number(expected.valueOf()));
        },
      ),
    );
  });
});

describe('printing', () => {
  test.each<[number, number, string]>([
    [13.625, 16, '13 5/8'],
    [13.5, 16, '13 1/2'],
    [0.0625, 16, '1/16'],
    [21, 8, '21'],
    [0, 8, '0'],
    [13.0625, 8, '≈ 13 1/8'],
    [0.999, 16, '≈ 1'],
  ])('%d in with 1/%d', (value, denominator, text) => {
    expect(printNumber(Math.round(value * NM.in), { unit: 'in', denominator }).text).toBe(text);
  });

  test('says when it is rounded', () => {
    expect(printNumber(335 * NM.mm, { unit: 'in' })).toEqual({ text: '≈ 13 3/16', exact: false });
    expect(printNumber(335 * NM.mm, { unit: 'cm' })).toEqual({ text: '33.5', exact: true });
  });

  test('yards, metres and both systems', () => {
    expect(printYards(126 * NM.in)).toBe('3 yd 18 in');
    expect(printYards(72 * NM.in)).toBe('2 yd');
    expect(printYards(20 * NM.in)).toBe('20 in');
    expect(printLength(2.4 * NM.m, { unit: 'm' })).toBe('2.4 m');
    expect(printBoth(20 * NM.in, 'in')).toBe('20 in (50.8 cm)');
    expect(printBoth(420 * NM.mm, 'mm')).toBe('42 cm (≈ 16 9/16 in)');
    expect(printNumber(-0.5 * NM.in, { unit: 'in' }).text).toBe('-1/2');
  });

  test('print then read gives the same length, in every unit', () => {
    const styles = fc.constantFrom(
      { unit: 'in' as const, denominator: 64, step: NM.in / 64 },
      { unit: 'in' as const, denominator: 16, step: NM.in / 16 },
      { unit: 'yd' as const, denominator: 8, step: NM.yd / 8 },
      { unit: 'ft' as const, denominator: 16, step: NM.ft / 16 },
      { unit: 'mm' as const, step: NM.mm / 100 },
      { unit: 'cm' as const, step: NM.mm / 100 },
      { unit: 'm' as const, step: NM.mm / 100 },
    );
    fc.assert(
      fc.property(styles, fc.nat(200_000), ({ step, ...style }, steps) => {
        const length = step * steps;
        expect(printNumber(length, style).exact).toBe(true);
        expect(read(printLength(length, style))).toBe(length);
      }),
    );
    fc.assert(
      fc.property(fc.nat(100_000), (sixteenths) => {
        const length = (sixteenths * NM.in) / 16;
        expect(read(printYards(length))).toBe(length);
      }),
    );
  });

  test('a rounded print is never further off than half its fraction', () => {
    fc.assert(
      fc.property(fc.nat(2_000_000_000), fc.constantFrom(8, 16, 32), (length, denominator) => {
        const { text } = printNumber(length, { unit: 'in', denominator });
        expect(Math.abs(read(text.replace('≈ ', '')) - length)).toBeLessThanOrEqual(NM.in / denominator / 2);
      }),
    );
  });
});

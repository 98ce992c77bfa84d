// Every unit's words, every vulgar fraction, the refusals word by word, and the ways a length is written for the next reader.
import { describe, expect, test } from 'vitest';
import {
  fromUnits,
  inches,
  LONGEST,
  longLength,
  millimetres,
  NM,
  parseLength,
  printBoth,
  printLength,
  printNumber,
  systemOf,
  toUnits,
  typingUnit,
  writeLength,
  type LengthUnit,
} from './index';

const read = (text: string, unit: LengthUnit = 'in') => {
  const result = parseLength(text, unit, 'width');
  if (!result.ok) throw new Error(result.faults[0]!.message);
  return result.value;
};
const fault = (text: string) => {
  const result = parseLength(text, 'in', 'width');
  if (result.ok) throw new Error(`${text} is a length`);
  expect(result.faults).toHaveLength(1);
  return result.faults[0]!;
};

describe('units', () => {
  test.each([
    ['in', ['"', '″', '”', "''", 'in', 'ins', 'inch', 'inches', 'IN', 'in.']],
    ['ft', ["'", '′', '’', 'ft', 'foot', 'feet']],
    ['yd', ['yd', 'yds', 'yard', 'yards']],
    ['mm', ['mm']],
    ['cm', ['cm']],
    ['m', ['m', 'metre', 'metres', 'meter', 'meters']],
  ] as const)('%s is written in all these ways', (unit, words) => {
    for (const word of words) {
      expect(read(`3${word}`, 'cm'), word).toBe(3 * NM[unit]);
      expect(read(`2 1/2 ${word}`, 'cm'), word).toBe(2.5 * NM[unit]);
    }
  });

  test('a vulgar fraction is what Unicode says it is (normalisation form KC)', () => {
    for (const sign of '½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞') {
      const [over, under] = sign.normalize('NFKC').split('⁄').map(Number);
      expect(read(sign), sign).toBe(Math.round((NM.in * over!) / under!));
      expect(read(`7${sign}`), sign).toBe(Math.round((NM.in * (7 * under! + over!)) / under!));
    }
  });

  test('a bare number after a unit is in the next smaller one', () => {
    expect(read('1 yd 6')).toBe(42 * NM.in);
    expect(read('2 ft 6')).toBe(30 * NM.in);
    expect(read('1 m 20')).toBe(120 * NM.cm);
    expect(read('1 cm 5')).toBe(15 * NM.mm);
  });

  test('what a person types in, and which system it belongs to', () => {
    expect((['in', 'mm', 'millimetres'] as const).map(typingUnit)).toEqual(['in', 'cm', 'mm']);
    expect((['in', 'mm', 'millimetres'] as const).map(systemOf)).toEqual(['in', 'mm', 'mm']);
  });

  test('a document’s number and its length are each other’s', () => {
    expect([fromUnits(13.625, 'in'), fromUnits(33.5, 'mm')]).toEqual([inches(13.625), millimetres(33.5)]);
    expect([inches(2), millimetres(2)]).toEqual([50_800_000, 2_000_000]);
    expect([toUnits(inches(13.625), 'in'), toUnits(millimetres(33.5), 'mm')]).toEqual([13.625, 33.5]);
  });
});

describe('edges of what is read', () => {
  test.each([
    ['', 'length-missing', 'A length is needed here.'],
    ['   ', 'length-missing', 'A length is needed here.'],
    ['-3', 'length-negative', '“-3” is negative; a length is zero or more.'],
    ['−3', 'length-negative', '“−3” is negative; a length is zero or more.'],
    ['1/0', 'length', '“1/0” divides by zero. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['2 1/00', 'length', '“2 1/00” divides by zero. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['3 ells', 'length', '“ells” in “3 ells” is not a unit of length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['1 2', 'length', '“1 2” is not one length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['3 4 cm', 'length', '“3 4 cm” is not one length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['3 in 2 ft', 'length', '“3 in 2 ft” is not one length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['3 in 2 in', 'length', '“3 in 2 in” is not one length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['1 yd 6 3 in', 'length', '“1 yd 6 3 in” is not one length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    ['wide', 'length', '“wide” is not a length. Write it like 13 5/8, 2\' 6" or 33.5 cm.'],
    [
      '1,500',
      'length',
      '“1,500” could mean a thousand or a decimal; write it without the comma. Write it like 13 5/8, 2\' 6" or 33.5 cm.',
    ],
    ['1000000 1/64', 'length-huge', '“1000000 1/64” is longer than 1,000,000 inches.'],
  ])('%j is refused', (text, code, message) => expect(fault(text)).toEqual({ code, field: 'width', message }));

  test('a fraction over ten is no zero, a decimal comma is a point, and a thousand needs three digits', () => {
    expect(read('1/10')).toBe(2_540_000);
    expect(read('3 1/20')).toBe(inches(3.05));
    expect(read('1,50', 'cm')).toBe(15_000_000);
    expect(read('1,5000', 'cm')).toBe(15_000_000);
    expect(read('.5')).toBe(12_700_000);
  });

  test('the longest length is one', () => expect(read('1000000')).toBe(LONGEST));

  test('a third is rounded to the nearest nanometre, a half of one up', () => {
    expect(read('1/3')).toBe(8_466_667);
    expect(read('2/3 mm')).toBe(666_667);
    expect(read('0.0000005 mm')).toBe(1);
    expect(read('0.0000004 mm')).toBe(0);
  });

  test('a text is quoted whole up to forty letters, shortened up to sixty, and not read beyond', () => {
    const text = (letters: number) => 'x'.repeat(letters);
    expect(fault(text(40)).message).toContain(`“${text(40)}” is not a length`);
    expect(fault(text(41)).message).toContain(`“${text(37)}...” is not a length`);
    expect(fault(text(60)).message).toContain('is not a length');
    expect(fault(text(61)).message).toContain(`“${text(37)}...” is too long to be a length`);
  });
});

describe('writing', () => {
  test('a length for people is in yards and inches, or metres to the next centimetre', () => {
    expect(longLength(inches(49.5), 'in')).toBe('1 yd 13 1/2 in');
    expect(longLength(millimetres(1234), 'mm')).toBe('1.24 m');
    expect(longLength(millimetres(1240), 'millimetres')).toBe('1.24 m');
  });

  test('in both systems, the person’s own first', () => {
    expect(printBoth(inches(2), 'in')).toBe('2 in (5.08 cm)');
    expect(printBoth(millimetres(508), 'mm')).toBe('50.8 cm (20 in)');
    expect(printBoth(millimetres(508), 'millimetres')).toBe('508 mm (20 in)');
  });

  test('to be read again: in its own fractions, or exactly in millimetres', () => {
    expect(writeLength(inches(3 + 1 / 64), 'in')).toBe('3 1/64');
    expect(writeLength(millimetres(10), 'in')).toBe('10 mm');
    expect(writeLength(millimetres(335), 'mm')).toBe('33.5');
    expect(writeLength(millimetres(335.5), 'millimetres')).toBe('335.5');
    expect(read(writeLength(123_456_789, 'mm'), 'cm')).toBe(123_456_789);
  });

  test('a negative length has its sign before the number, and what is rounded says so', () => {
    expect(printNumber(-inches(3.5), { unit: 'in' })).toEqual({ text: '-3 1/2', exact: true });
    expect(printNumber(-millimetres(5), { unit: 'cm' })).toEqual({ text: '-0.5', exact: true });
    expect(printNumber(inches(1 / 3), { unit: 'in' })).toEqual({ text: '≈ 5/16', exact: false });
    expect(printLength(inches(0), { unit: 'in' })).toBe('0 in');
  });
});

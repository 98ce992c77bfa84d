import { describe, expect, test } from 'vitest';
import { NM } from '@/core/length';
import { dueDistance } from './days';
import { laysAgain, longLength, overBound, percent } from './words';

describe('words for figures', () => {
  test('a lay over its bound, at it, and hardly over it', () => {
    expect(overBound(103_000, 100_000)).toBe('3.0 % over the shortest possible');
    // The same length twice is no rounding error over or under.
    for (const length of [1, 3, 7, 49, 1_000_003]) expect(overBound(length, length)).toBe('the shortest possible');
    expect(overBound(100_001, 100_000)).toBe('less than 0.1 % over the shortest possible');
  });

  test('lengths of cloth, shares and days', () => {
    expect(longLength(100 * NM.in, 'in')).toContain('yd');
    // Metres are rounded up: cloth is bought to reach.
    expect(longLength(1_234_000_000, 'mm')).toContain('1.24');
    expect(percent(0.1234)).toBe('12.3 %');
    const today = new Date(2026, 1, 10);
    expect(dueDistance('2026-02-10', today)).toEqual({ text: 'today', isLate: false });
    expect(dueDistance('2026-02-11', today)).toEqual({ text: 'tomorrow', isLate: false });
    expect(dueDistance('2026-02-08', today)).toEqual({ text: '2 days late', isLate: true });
  });

  test('what a change means for batches', () => {
    expect(laysAgain([])).toBeUndefined();
    expect(laysAgain(['Yard, spring'])).toBe('The lays of “Yard, spring” have to be made again.');
    expect(laysAgain(['A', 'B'])).toBe('The lays of “A” and “B” have to be made again.');
  });
});

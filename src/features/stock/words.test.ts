import { addDays } from 'date-fns';
import { describe, expect, test } from 'vitest';
import { MOVEMENT_SORTS, WASTE_CAUSES } from '@/core/stock';
import { ageOf, CAUSE_LABELS, MOVEMENT_LABELS } from './words';

describe('how long something has been on the shelf', () => {
  const received = '2026-03-02';
  const day = new Date('2026-03-02T08:00:00');
  test.each([
    [0, 'today', false],
    [1, '1 day', false],
    [13, '13 days', false],
    [14, '2 weeks', false],
    [59, '8 weeks', false],
    [61, '2 months', false],
    [364, '12 months', false],
    [365, '12 months', true],
    [730, '24 months', true],
  ])('after %d days: %s', (days, text, isOld) => {
    expect(ageOf(received, addDays(day, days))).toEqual({ text, isOld });
  });

  test('what came later than today, by a clock that is wrong, came today', () => {
    expect(ageOf(received, addDays(day, -3))).toEqual({ text: 'today', isOld: false });
  });
});

test('every movement and every cause of waste has its words', () => {
  expect(MOVEMENT_SORTS.filter((sort) => !MOVEMENT_LABELS[sort])).toEqual([]);
  expect(WASTE_CAUSES.filter((cause) => !CAUSE_LABELS[cause])).toEqual([]);
});

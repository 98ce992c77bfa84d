// Changes of the plan from one day to the next.
import { expect, test } from 'vitest';
import { changesSince, planBefore, planShape } from './plan-of-day';

const plan = (day: string, ready: Record<string, string>) => ({ day, ready });

test('what moved back furthest stands first; what stayed, and what is done, is left out', () => {
  const before = plan('2026-12-01', { 201: '2026-12-03', 204: '2026-12-05', 205: '2026-12-07', 206: '2026-12-08' });
  const now = plan('2026-12-02', { 204: '2026-12-04', 205: '2026-12-09', 206: '2026-12-08', 230: '2026-12-20' });
  expect(changesSince(before, now)).toEqual([
    { orderNo: '205', was: '2026-12-07', is: '2026-12-09' },
    { orderNo: '230', was: null, is: '2026-12-20' },
    { orderNo: '204', was: '2026-12-05', is: '2026-12-04' },
  ]);
});

test('a day is compared with the last one before it, however often it was looked at', () => {
  const [monday, tuesday] = [plan('2026-11-30', {}), plan('2026-12-01', {})];
  expect(planBefore({ last: tuesday, before: monday }, '2026-12-02')).toBe(tuesday);
  expect(planBefore({ last: tuesday, before: monday }, '2026-12-01')).toBe(monday);
  expect(planBefore({ last: tuesday, before: null }, '2026-12-01')).toBeNull();
});

test('a plan of no day is refused', () => {
  expect(planShape.validate(plan('today', {})).error).toBeDefined();
  expect(planShape.validate(plan('2026-12-01', { 204: 'soon' })).error).toBeDefined();
  expect(planShape.validate(plan('2026-12-01', { 204: '2026-12-04' })).error).toBeUndefined();
});

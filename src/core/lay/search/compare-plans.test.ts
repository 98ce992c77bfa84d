import { expect, test } from 'vitest';
import { bestOf, isAtBound } from './compare-plans';
import type { LayPlan } from '../model/plan';

const plan = (used: number, bound: number, missing: string[] = []): LayPlan => ({
  lays: [],
  unplaced: missing.map((strip) => ({ strip, copy: 1, why: 'its shortest cut is longer than any cut can be' })),
  used,
  endless: used,
  bound,
  passes: 1,
  refused: 0,
});

test('of the plans of several workers the shortest is taken, with the best bound that any of them has proven', () => {
  expect(bestOf([plan(120, 100), plan(110, 90)])).toMatchObject({ used: 110, bound: 100 });
  // The same where a strip can't be cut at all.
  expect(bestOf([plan(120, 100, ['cord']), plan(110, 90, ['cord'])])).toMatchObject({ used: 110, bound: 100 });
});

test('a bound for more than the best plan lays is not its bound, nor is one above what it uses', () => {
  expect(bestOf([plan(120, 100, ['cord', 'tie']), plan(110, 90, ['cord'])])).toMatchObject({ used: 110, bound: 90 });
  expect(bestOf([plan(110, 109), plan(108, 90)]).bound).toBe(108);
});

test('a plan that lays all comes before a shorter one that does not', () => {
  expect(bestOf([plan(90, 80, ['cord']), plan(120, 100)]).used).toBe(120);
});

test('a worker is at its bound when all is laid in no more than is proven to be needed', () => {
  expect(isAtBound(plan(100, 100))).toBe(true);
  expect(isAtBound(plan(101, 100))).toBe(false);
  expect(isAtBound(plan(100, 100, ['cord']))).toBe(false);
});

import { expect, test } from 'vitest';
import { dissect } from '@/bench/jobs';
import { Random } from './random';
import { findFaults } from '../index';
import { jobOf, lay } from '../testing';

// No endless cloth: all must lie on one length that is 5 % longer than its pieces fill.
test.each([1])('24 pieces find room on a length with little to spare, seed %d', (seed) => {
  const pieces = dissect(54, 40, 24, new Random(seed)).map(({ w, h }, i) => ({ id: `p${i}`, size: [w, h] }));
  const job = jobOf({ cloth: { name: 't', width: 54, turns: 'any' }, stock: [{ id: 'end', length: 42 }], pieces });
  const plan = lay(job, 2_000);
  expect(plan.unplaced).toEqual([]);
  expect(findFaults(job, plan)).toEqual([]);
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { dissectedJob, shakenJob } from '@/bench/jobs';
import { findFaults, nest, type LayJob, type LayPlan } from './index';
import { jobArb, jobOf } from './testing';

const planOf = (job: LayJob, steps: number, start?: LayPlan) => {
  const plan = nest(job, { steps, seed: 3, ...(start && { start }) });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return plan.value;
};

test('a search that goes on from a plan never ends longer, leaves no more out, and is valid', () => {
  fc.assert(
    fc.property(jobArb, fc.integer({ min: 1, max: 30 }), (document, steps) => {
      const job = jobOf(document);
      const start = planOf(job, steps);
      const on = planOf(job, 2, start);
      expect(findFaults(job, on)).toEqual([]);
      expect(on.unplaced.length).toBeLessThanOrEqual(start.unplaced.length);
      if (on.unplaced.length === start.unplaced.length) expect(on.endless).toBeLessThanOrEqual(start.endless);
      expect(on.bound).toBeLessThanOrEqual(on.used);
    }),
    { numRuns: tries(25) },
  );
});

test.each([
  ['rectangles', dissectedJob(40, 3, 'free').job],
  ['matched pieces', dissectedJob(30, 4, 'matched').job],
  ['straight cuts', dissectedJob(30, 5, 'straight').job],
  ['outlines', shakenJob(16, 6).job],
])('%s: the search goes on from it, so that two short ones get further than one', (_, job) => {
  const long = planOf(job, 400);
  expect(planOf(job, 1, long).used).toBe(long.used);
  const on = planOf(job, 200, long);
  expect(on.used).toBeLessThanOrEqual(long.used);
});

test('with strips and locks the search goes on from the plan too: one pass never forgets what many found', () => {
  const strips = [
    { id: 'cord', width: 1.5, length: 300, grain: 'bias', loss: 1.5, least: 12, qty: 2 },
    { id: 'band', width: 4, length: 120, grain: 'across', loss: 1, qty: 2 },
  ];
  const pieces = [
    { id: 'a', size: [17, 13], qty: 9 },
    { id: 'b', size: [23, 19], qty: 6 },
    { id: 'c', size: [31, 4], qty: 7 },
  ];
  const job = jobOf({ pieces, strips });
  const long = planOf(job, 80);
  expect(planOf(job, 20).used).toBeGreaterThan(long.used);
  const heard: number[] = [];
  const clock = () => performance.now();
  const from = (one: LayJob) =>
    nest(one, { steps: 20, seed: 3, start: long, clock, seconds: 20, onBetter: ({ used }) => heard.push(used) });
  const on = from(job);
  expect(on.ok && on.value.used).toBeLessThanOrEqual(long.used);
  const [lay] = long.lays;
  const locked = lay!.placed.filter(({ piece }) => piece === 'b').map((one) => ({ ...one, stock: 'roll' }));
  const lockedCuts = lay!.cuts.filter(({ strip }) => strip === 'cord').map((one) => ({ ...one, stock: 'roll' }));
  const some = { ...job, locked, lockedCuts };
  const round = from(some);
  if (!round.ok) throw new Error(round.faults[0]!.message);
  expect(findFaults(some, round.value)).toEqual([]);
  expect(round.value.used).toBeLessThanOrEqual(long.used);
  // A lay that is reported on the way is never longer than the one it set out from.
  for (const used of heard) expect(used).toBeLessThanOrEqual(long.used);
});

test('a plan that can’t be cut is refused with what is wrong', () => {
  const job = jobOf({ pieces: [{ id: 'a', size: [20, 10], qty: 2 }] });
  const good = planOf(job, 5);
  const [lay] = good.lays;
  const over = {
    ...good,
    lays: [{ ...lay!, placed: lay!.placed.map((one) => ({ ...one, x: lay!.placed[0]!.x, y: lay!.placed[0]!.y })) }],
  };
  const refused = nest(job, { steps: 5, start: over });
  expect(refused.ok ? '' : refused.faults[0]!.message).toMatch(
    /can’t be cut: a 1 and a 2 overlap|can’t be cut: a 2 and a 1 overlap/,
  );
});

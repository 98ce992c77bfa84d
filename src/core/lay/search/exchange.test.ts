import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { NM } from '../../length';
import { findFaults, nest, type LayJob, type SharedLay } from '../index';
import { jobArb, jobOf } from '../testing';

/** A lay by so many passes, with what it published and received. */
function layWith(job: LayJob, seed: number, steps: number, published: SharedLay[] = []) {
  const tells: SharedLay[] = [];
  const waiting = [...published];
  const plan = nest(job, {
    seed,
    steps,
    exchange: { publish: (lay) => tells.push(lay), receive: () => waiting.splice(0) },
  });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return { plan: plan.value, tells };
}

describe('workers of one search', () => {
  test('a lay that another worker has published is taken over, strips and all', () => {
    const job = jobOf({
      cloth: {
        name: 't',
        width: 54,
        selvage: [0.5, 0.5],
        turns: 'none',
        repeat: { across: 13.5, along: 12.5, drop: 0.5 },
      },
      pieces: [
        { id: 'front', size: [23, 19], qty: 6, match: { group: 'g' } },
        { id: 'back', size: [17, 13], qty: 9, match: { at: [1, 2] } },
        { id: 'gusset', size: [31, 4], qty: 7 },
      ],
      strips: [{ id: 'cord', width: 1.5, length: 300, grain: 'bias', loss: 1.5, least: 12, qty: 1 }],
    });
    const long = layWith(job, 1, 800);
    const short = layWith(job, 2, 60);
    expect(long.plan.used).toBeLessThan(short.plan.used);
    const helped = layWith(job, 2, 60, long.tells);
    expect(helped.plan.used).toBeLessThanOrEqual(long.plan.used);
    expect(findFaults(job, helped.plan)).toEqual([]);
    expect(helped.plan.unplaced).toEqual([]);
  });

  test('of any job: each told lay is better than the one before, a worse one changes nothing', () => {
    fc.assert(
      fc.property(jobArb, fc.integer({ min: 1, max: 99 }), (json, seed) => {
        const job = jobOf(json);
        const first = layWith(job, seed, 60);
        // A published lay is a found one, so it comes to the same again when it is received from the start.
        const again = layWith(job, seed, 60, first.tells);
        expect(again.plan.endless).toBeLessThanOrEqual(first.plan.endless);
        expect(again.plan.refused).toBe(0);
        const worst = layWith(job, seed, 60, first.tells.slice(0, 1));
        expect(worst.plan.used).toBe(first.plan.used);
      }),
      { numRuns: tries(4), seed: 11 },
    );
  });

  test('without others a search by steps is the same each time', () => {
    const job = jobOf({
      pieces: [
        { id: 'a', size: [13, 11], qty: 20 },
        { id: 'b', size: [7, 21], qty: 15 },
      ],
    });
    const [one, other] = [layWith(job, 3, 150), layWith(job, 3, 150)];
    expect(one.plan).toEqual(other.plan);
    expect(one.plan.used / NM.in).toBeLessThan(110);
  });
});

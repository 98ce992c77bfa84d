import { expect, test } from 'vitest';
import { findFaults, type LayJob } from '@/core/lay';
import { lay, provenBound } from '@/core/lay/testing';
import { NM } from '@/core/length';
import { shavedJob, type Box } from './jobs';

/** The lay that has each piece in its box. */
const layIn = (job: LayJob, boxes: readonly Box[], best: number) => ({
  lays: [
    {
      stock: job.stock[0]!.id,
      used: best * NM.in,
      placed: boxes.map(({ x, y }, i) => ({ piece: `p${i}`, copy: 1, x: x * NM.in, y: y * NM.in, turn: 0 })),
      cuts: [],
    },
  ],
  unplaced: [],
  used: best * NM.in,
  endless: best * NM.in,
  bound: 0,
  passes: 0,
  refused: 0,
});

const SEEDS = [1, 3, 5, 7];

test.each([true, false])('the known lay of a shaved batch is valid, matched: %s', (isMatched) => {
  for (const seed of SEEDS) {
    const { job, best, boxes } = shavedJob(10 + 8 * seed, seed, isMatched);
    expect(findFaults(job, layIn(job, boxes, best))).toEqual([]);
    // Further to the right than any piece is shaved, what lies at the selvage sticks out.
    const moved = boxes.map((box) => ({ ...box, x: box.x + 1.625 }));
    expect(findFaults(job, layIn(job, moved, best)).length).toBeGreaterThan(0);
  }
});

test.each([true, false])('no bound is above a known lay, matched: %s', (isMatched) => {
  for (const seed of SEEDS) {
    const { job, best } = shavedJob(6 + 6 * seed, 100 + seed, isMatched);
    expect(provenBound(job)).toBeLessThanOrEqual(best * NM.in);
  }
});

test('without a pattern a lay is soon shorter than the known one', () => {
  for (const seed of [1, 2]) {
    const { job, best } = shavedJob(30, seed, false);
    expect(lay(job, 300).used).toBeLessThan(best * NM.in);
  }
});

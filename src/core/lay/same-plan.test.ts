import { createHash } from 'node:crypto';
import { expect, test } from 'vitest';
import { dissectedJob, fusedJob, publishedJob, PUBLISHED, shakenJob } from '@/bench/jobs';
import { nest, planToJson, type LayJob } from './index';
import { jobOf } from './testing';

// By steps the engine gives the same plan for the same seed on every machine, whatever is moved or renamed in it. A change of how it
// searches changes these: then measure it on the development families (npm run bench:lay), and write the new ones down.

const printed = (job: LayJob) => {
  const plan = nest(job, { steps: 120, seed: 7 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return createHash('sha256')
    .update(JSON.stringify(planToJson(plan.value, job.units)))
    .digest('hex')
    .slice(0, 16);
};

test.each<[string, LayJob, string]>([
  ['rectangles without waste', dissectedJob(30, 5, 'free').job, 'cf66a1ef7961eacf'],
  ['straight cuts without waste', dissectedJob(24, 6, 'straight').job, '645960f50874d97a'],
  ['matched pieces without waste', dissectedJob(20, 7, 'matched').job, 'b71da104e2c4e8b0'],
  ['outlines without waste', shakenJob(12, 8).job, 'd2ff0633d83b6247'],
  ['ells and tees', fusedJob(12, 9).job, 'bae1661c0852f803'],
  ['a published job', publishedJob(PUBLISHED[0]!), '66a16ff7260af932'],
  [
    'strips, a flawed remnant and a match group',
    jobOf({
      cloth: { name: 't', width: 54, repeat: { across: 9, along: 7, drop: 0.5 }, turns: 'none' },
      stock: [{ id: 'r', length: 30, flaws: [[10, 5, 3, 4]] }, { id: 'roll' }],
      pieces: [
        { id: 'a', size: [17, 13], qty: 6, match: { group: 'g' } },
        { id: 'b', size: [9, 22], qty: 4 },
      ],
      strips: [{ id: 's', width: 1.5, length: 130, grain: 'bias', loss: 1.5, least: 12 }],
    }),
    'a28d50a49e4fb480',
  ],
])('of %s', (_, job, hash) => {
  expect(printed(job)).toBe(hash);
});

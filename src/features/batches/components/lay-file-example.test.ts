import { expect, test } from 'vitest';
import { parseLayJob } from '@/core/files';
import { findFaults, nest } from '@/core/lay';
import { EXAMPLE_JOB } from './lay-file-example';

test('the example is a job whose pieces and strips all find room', () => {
  const job = parseLayJob(JSON.stringify(EXAMPLE_JOB));
  if (!job.ok) throw new Error(job.faults[0]!.message);
  const plan = nest(job.value, { steps: 200 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  expect(plan.value.unplaced).toEqual([]);
  expect(findFaults(job.value, plan.value)).toEqual([]);
  // Something lies on the remnant, and the flaw is not cut into.
  expect(plan.value.lays.map(({ stock }) => stock)).toEqual(['REM-2', 'BOLT-1']);
});

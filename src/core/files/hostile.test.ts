import { expect, test } from 'vitest';
import { HOSTILE } from '@/bench/hostile';
import { parseLayJob } from './lay-json';

test.each(Object.entries(HOSTILE))('%s is refused in one short line', (_, text) => {
  const job = parseLayJob(text());
  expect(job.ok).toBe(false);
  if (job.ok) return;
  expect(job.faults).toHaveLength(1);
  expect(job.faults[0]!.message).not.toContain('\n');
  expect(job.faults[0]!.message.length).toBeLessThan(200);
});

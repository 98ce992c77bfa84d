import { expect, test } from 'vitest';
import { pauseAfter, Supervised } from '../../scripts/lib/supervisor.mjs';

test('what ends is started again after ever longer pauses, to half a minute and never given up', () => {
  expect([0, 1, 2, 3].map(pauseAfter)).toEqual([500, 1_000, 2_000, 4_000]);
  for (const ends of [6, 9, 50, 5_000]) expect(pauseAfter(ends)).toBe(30_000);
});

test('a program that ends is begun again until it is told to stop', async () => {
  const begun: number[] = [];
  const { spawn } = await import('node:child_process');
  const said: string[] = [];
  const one = new Supervised({
    name: 'It',
    say: (text: string) => said.push(text),
    start: () => (begun.push(Date.now()), spawn('false')),
  });
  one.run();
  await expect.poll(() => begun.length, { timeout: 10_000 }).toBe(4);
  await one.stop();
  expect(said[0]).toContain('It ended (1)');
  const pauses = begun.slice(1).map((at, i) => at - begun[i]!);
  expect(pauses[2]).toBeGreaterThan(pauses[1]!);
  expect(pauses[1]).toBeGreaterThan(pauses[0]!);
});

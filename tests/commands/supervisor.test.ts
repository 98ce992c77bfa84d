import { expect, test } from 'vitest';
import { mkdtempSync, readFileSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PassThrough } from 'node:stream';
import { logStream, pauseAfter, Supervised } from '../../scripts/lib/supervisor.mjs';

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

test('a log is moved aside as it grows, three of them are kept, and nothing that was written last is lost', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-log-'));
  try {
    const [stream, file] = [new PassThrough(), join(folder, 'web.log')];
    logStream(stream, file);
    const megabyte = 'x'.repeat(1_000_000);
    // Six logs of five megabytes: the oldest go.
    for (let i = 0; i < 30; i++) {
      stream.write(`${megabyte}\n`);
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
    stream.write('the last words\n');
    const names = () => readdirSync(folder).sort();
    await expect.poll(() => names().length).toBe(4);
    expect(names()).toEqual(['web.log', 'web.log.1', 'web.log.2', 'web.log.3']);
    await expect.poll(() => readFileSync(file, 'utf8')).toContain('the last words');
    for (const name of names()) expect(statSync(join(folder, name)).size).toBeLessThan(7_000_000);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, test } from 'vitest';

// Two commands started at the same moment install the packages or build the application one after the other.

const folder = mkdtempSync(join(tmpdir(), 'jolly-bolt-'));
const mark = join(process.cwd(), '.local', 'a-test.pid');
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
  rmSync(mark, { force: true });
});

/** A command that writes when it begins and ends its part of `alone`. */
const command = (name: string, log: string, body = 'await new Promise((done) => setTimeout(done, 400));') =>
  new Promise<number | null>((resolve) => {
    const program = `
      import { appendFileSync } from 'node:fs';
      import { alone } from ${JSON.stringify(join(process.cwd(), 'scripts/lib/project.mjs'))};
      await alone('a-test', async () => {
        appendFileSync(${JSON.stringify(log)}, '${name} begins\\n');
        ${body}
        appendFileSync(${JSON.stringify(log)}, '${name} ends\\n');
      });`;
    const child = spawn(process.execPath, ['--input-type=module', '-e', program], { stdio: 'ignore' });
    child.on('exit', resolve);
  });

test('one waits for the other', async () => {
  const log = join(folder, 'both');
  await Promise.all([command('one', log), command('two', log), command('three', log)]);
  const lines = readFileSync(log, 'utf8').trim().split('\n');
  expect(lines).toHaveLength(6);
  for (let i = 0; i < 6; i += 2) expect(lines[i + 1]).toBe(lines[i]!.replace('begins', 'ends'));
  expect(existsSync(mark)).toBe(false);
});

test('one that fails, or was killed, does not keep the next from its turn', async () => {
  const log = join(folder, 'failed');
  expect(await command('one', log, 'throw new Error("no");')).not.toBe(0);
  await command('two', log);
  // A process id that nobody has: the largest that Linux gives is 4,194,304.
  mkdirSync(join(process.cwd(), '.local'), { recursive: true });
  writeFileSync(mark, '4999999');
  await command('three', log);
  expect(readFileSync(log, 'utf8')).toBe('one begins\ntwo begins\ntwo ends\nthree begins\nthree ends\n');
});

// The first start, once for all browser tests: with the demo workroom and without. Each file begins on a copy of what it left behind.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from '../../scripts/lib/cluster.mjs';
import { LOCAL, ROOT, sourceHash } from '../../scripts/lib/project.mjs';

const LONGEST_MS = 300_000;

/** Makes both workrooms, unless they are there from the same source and the same day (the demo’s days count from today). */
export default async function firstStarts() {
  const stamp = `${sourceHash()} ${new Date().toDateString()}`;
  await firstStart('empty', stamp, '--empty');
  await firstStart('demo', stamp);
}

async function firstStart(name, stamp, ...args) {
  const folder = join(LOCAL, `first-start-${name}`);
  const file = `${folder}.stamp`;
  if (existsSync(file) && readFileSync(file, 'utf8') === stamp) return;
  rmSync(file, { force: true });
  rmSync(folder, { recursive: true, force: true });
  const child = spawn(process.execPath, ['scripts/start.mjs', '--data', folder, '--no-worker', ...args], {
    cwd: ROOT,
    env: { ...process.env, PORT: String(await freePort()) },
    stdio: ['ignore', 'pipe', 'inherit'],
    timeout: LONGEST_MS,
  });
  const gone = new Promise((resolve) => child.on('exit', resolve));
  let output = '';
  const isReady = new Promise((resolve) =>
    child.stdout.on('data', (chunk) => {
      output += chunk;
      if (output.includes('is ready')) resolve(true);
    }),
  );
  const ready = await Promise.race([isReady, gone.then(() => false)]);
  child.kill('SIGINT');
  await gone;
  if (!ready) throw new Error(`npm start ended: ${output}`);
  if (output.includes('Loading the demo workroom') !== (name === 'demo')) throw new Error(`npm start said: ${output}`);
  writeFileSync(file, stamp);
}

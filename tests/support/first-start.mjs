// The first start, once for all browser tests: with the demo workroom and without. Each file begins on what it left behind: a copy of the data
// folder, or its rows as statements, in an application that runs already (`shared-app.ts`).
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Cluster } from '../../scripts/lib/cluster.mjs';
import { ensurePostgres } from '../../scripts/lib/debian.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { LOCAL, ROOT, sourceHash } from '../../scripts/lib/project.mjs';
import { mayDeleteAll } from './may-delete-all.mjs';

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
  if (existsSync(`${folder}.sql`) && existsSync(file) && readFileSync(file, 'utf8') === stamp) return;
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
  if (ready) await writeRows(new Cluster(folder, await ensurePostgres()), `${folder}.sql`);
  child.kill('SIGINT');
  await gone;
  if (!ready) throw new Error(`npm start ended: ${output}`);
  if (output.includes('Loading the demo workroom') !== (name === 'demo')) throw new Error(`npm start said: ${output}`);
  writeFileSync(file, stamp);
}

/** Writes what the tables hold as statements that the application’s own role may carry out once they are empty. */
async function writeRows(cluster, file) {
  mayDeleteAll(cluster);
  const made = cluster.call(
    'pg_dump',
    [...cluster.admin('jolly_bolt'), '--data-only', '--schema=public', '--rows-per-insert=100'],
    cluster.adminEnv,
  );
  if (made.status !== 0) throw new Error(`The rows of ${cluster.folder} could not be read: ${made.stderr}`);
  // Lines with a backslash are for PostgreSQL's own program.
  writeFileSync(file, made.stdout.replace(/^\\(un)?restrict .*$/gm, ''));
}

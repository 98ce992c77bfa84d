import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { getPriority } from 'node:os';
import { and, asc, eq, gte, isNotNull, sql } from 'drizzle-orm';
import { afterAll, afterEach, beforeAll, beforeEach, expect, test } from 'vitest';
import { clothTasks } from '@/core/batch';
import { databaseUrl, schema, type Database } from '@/db';
import { batchProgress } from '@/features/batches/queries';
import { createBatch, makeLays } from '@/features/batches/actions';
import { saveOrder } from '@/features/orders/actions';
import { getOrder } from '@/features/orders/queries';
import { addPerson } from '@/features/people/actions';
import { loadCutLists } from '@/records/cut-lists';
import { stopBoss } from '@/work/boss';
import { lengthsOnceEver, searchHere } from '@/work/lengths-alone';
import { Cancel } from '@/work/pool';
import { lineForm, orderForm } from '../support/forms';
import { Namespaces } from '../support/namespaces';
import { openWorkroom, resetWorkroom, value } from '../support/workroom';

// The lay queue with workers as processes of their own, which are killed in the middle of their work.

let db: Database;
let close: () => Promise<void>;
let cloth: number;
const workers: ChildProcess[] = [];
const servers: ChildProcess[] = [];
/** Three for workers and two for web servers, each on a network of its own. */
const WORKERS = 3;
const MACHINES = WORKERS + 2;
let machines: Namespaces | null = null;
let started = 0;

beforeAll(async () => {
  ({ db, close } = await openWorkroom());
  machines = await Namespaces.make(MACHINES, databaseUrl());
  if (!machines)
    console.warn(
      'Not root, or no ip: the workers run beside each other on this machine, not each on a network of its own.',
    );
});
beforeEach(async () => {
  cloth = await resetWorkroom(db);
});
afterEach(() => {
  for (const one of [...workers.splice(0), ...servers.splice(0)]) one.kill('SIGKILL');
});
afterAll(async () => {
  await machines?.close();
  await stopBoss();
  await close();
});

/** Starts a worker: on a machine of its own where that can be had, which is one of three. */
function startWorker() {
  const options = { stdio: ['ignore', 'ignore', 'inherit'] as ('ignore' | 'inherit')[] };
  const env = { ...process.env, JOLLY_BOLT_CORES: '1' };
  const i = started++ % WORKERS;
  const worker = machines
    ? machines.spawn(i, process.execPath, ['dist/worker.mjs'], {
        ...options,
        env: { ...env, DATABASE_URL: machines.databaseUrl(i) },
      })
    : spawn(process.execPath, ['dist/worker.mjs'], { ...options, env });
  workers.push(worker);
}

/** A web server on a machine of its own; what it answers there. */
async function startWeb(i: number): Promise<(path: string) => Promise<string>> {
  const env = { ...process.env, NODE_ENV: 'production', DATABASE_URL: machines!.databaseUrl(i) } as NodeJS.ProcessEnv;
  servers.push(machines!.spawn(i, process.execPath, ['scripts/serve.mjs', '3999'], { env, stdio: 'ignore' }));
  const ask = (path: string) =>
    machines!.ask(i, process.execPath, [
      '-e',
      `fetch('http://127.0.0.1:3999${path}', { signal: AbortSignal.timeout(5000) }).then(async (r) => console.log(r.status, await r.text())).catch(() => console.log('none'))`,
    ]);
  for (let tries = 0; tries < 60; tries++) {
    if ((await ask('/api/health')).startsWith('200')) return ask;
    await pause(1000);
  }
  throw new Error('The web server did not come up on a network of its own.');
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function asks(personId: number | null, count: number): Promise<number[]> {
  (globalThis as { testCookies?: object }).testCookies =
    personId === null ? {} : { 'jolly-bolt-person': { value: String(personId) } };
  const ids: number[] = [];
  for (let i = 0; i < count; i++) {
    const order = value(await saveOrder(orderForm([lineForm(cloth, { qty: String(1 + (i % 3)) })]), null)).id;
    const lineIds = (await getOrder(order))!.form.lines.map(({ id }) => id!);
    const { id } = value(await createBatch({ name: `Batch ${personId} ${i}`, lineIds }));
    value(await makeLays(id, 1));
    ids.push(id);
  }
  return ids;
}

async function untilAllEnded(count: number, meanwhile: (second: number) => Promise<void> | void) {
  for (let second = 0; second < 240; second++) {
    const ended = await db
      .select({ id: schema.layRuns.id })
      .from(schema.layRuns)
      .where(isNotNull(schema.layRuns.endedAt));
    if (ended.length >= count) return;
    await meanwhile(second);
    await pause(1000);
  }
  throw new Error('The lays were not all made.');
}

test('26 batches by three workers that are killed at random: each laid once, and fair between people', async () => {
  const [ada, ben] = [value(await addPerson('Ada Weir')).id, value(await addPerson('Ben Lock')).id];
  const many = await asks(ada, 20);
  const few = await asks(ben, 6);
  const webs = machines ? await Promise.all([WORKERS, WORKERS + 1].map(startWeb)) : [];
  for (let i = 0; i < WORKERS; i++) startWorker();
  let kills = 0;
  await untilAllEnded(26, async (second) => {
    if (second % 4 !== 3 || kills >= 5) return;
    // A run that lost its worker twice would rightly be given up at the third time.
    const again = await db
      .select({ id: schema.layRuns.id })
      .from(schema.layRuns)
      .where(and(eq(schema.layRuns.state, 'running'), gte(schema.layRuns.attempts, 2)));
    if (again.length > 0) return;
    workers.splice(second % workers.length, 1)[0]!.kill('SIGKILL');
    kills++;
    startWorker();
  });
  expect(kills).toBeGreaterThanOrEqual(2);
  // Both web servers, on networks of their own, see the last batch laid.
  for (const ask of webs)
    expect(JSON.parse((await ask(`/api/batches/${few.at(-1)}/progress`)).slice(4))).toMatchObject({ status: 'laid' });
  const batches = await db.select().from(schema.batches).orderBy(asc(schema.batches.id));
  expect(batches.map(({ status }) => status)).toEqual([...many, ...few].map(() => 'laid'));
  const runs = await db.select().from(schema.layRuns).orderBy(asc(schema.layRuns.endedAt));
  expect(runs.map(({ state }) => state)).toEqual(batches.map(() => 'done'));
  // Whoever has a run taken from a dead worker begins it once more, and none was begun for nothing.
  const begun = runs.reduce((sum, { attempts }) => sum + attempts, 0);
  expect(begun).toBeLessThanOrEqual(26 + kills);
  const lays = await db.select({ batchId: schema.lays.batchId }).from(schema.lays);
  expect(lays.map(({ batchId }) => batchId).sort((a, b) => a - b)).toEqual([...many, ...few]);
  // Ben asked last, for six; he does not wait until Ada's twenty are laid. What a killed worker held waits besides until it is missed.
  const place = runs.findLastIndex(({ askedBy, attempts }) => askedBy === ben && attempts === 1);
  expect(place).toBeLessThan(20);
  expect(runs.filter(({ askedBy }) => askedBy === ben)).toHaveLength(6);
}, 300_000);

test('a length that a web process asks the worker for is the one that a search finds here, on a cloth without an end', async () => {
  const { id } = value(await saveOrder(orderForm([lineForm(cloth, { typed: { width: '20', height: '18' } })]), null));
  const { orders, clothRows, cloths } = await loadCutLists(db, eq(schema.orderLines.orderId, id));
  const keyed = clothRows.map((row) => ({ key: String(row.id), cloth: cloths.get(String(row.id))!, units: row.units }));
  const jobs = clothTasks(orders, keyed).map(({ orders: [own] }) => ({ content: own!.content, job: own!.job.job }));
  searchHere(false);
  startWorker();
  const asked = await lengthsOnceEver(db, jobs, 1, new Cancel()).finally(() => searchHere());
  await db.delete(schema.aloneLays);
  expect(asked).toEqual(await lengthsOnceEver(db, jobs, 1, new Cancel()));
  expect([...asked.values()].every((used) => used > 0)).toBe(true);
});

test('without a worker a batch waits and says so; a worker that comes takes it', async () => {
  const [id] = await asks(null, 1);
  expect((await batchProgress(id!))!.note).toMatch(/no worker is running/);
  startWorker();
  await untilAllEnded(1, () => undefined);
  const [batch] = await db.select().from(schema.batches).where(eq(schema.batches.id, id!));
  expect(batch!.status).toBe('laid');
});

test('a worker that was started with a lower priority than its own keeps it, which nobody but an administrator may raise', async () => {
  const lower = Math.min(19, getPriority() + 15);
  const worker = spawn('nice', ['-n', '15', process.execPath, 'dist/worker.mjs'], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  workers.push(worker);
  await once(worker.stdout!, 'data');
  expect(getPriority(worker.pid!)).toBe(lower);
});

test('a run whose job a worker took and died with is sent again', async () => {
  const [id] = await asks(null, 1);
  // Left so by a worker that dies between taking the job and taking the run.
  await db.execute(sql`UPDATE pgboss.job SET state = 'active' WHERE name = 'lay-run' AND state = 'created'`);
  await db.update(schema.layRuns).set({ askedAt: sql`now() - interval '1 minute'` });
  startWorker();
  await untilAllEnded(1, () => undefined);
  expect((await batchProgress(id!))!.status).toBe('laid');
});

import { hostname } from 'node:os';
import { and, count, eq, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import { database, databaseUrl, schema, transact, type Transaction } from '@/db';
import { LAY_RUN_TRANSITIONS, startsOf } from '@/core/batch';
import { layBatch } from './lay-batch';

const QUEUE = 'lay-run';
const SWEEP_EVERY_MS = 3_000;
/** A run whose worker was not heard of for so long, by the database's clock, has lost it. */
const LOST_AFTER_S = 6;
/** What a job may take beyond the search itself: reading, the orders by themselves, saving. */
const SPARE_S = 300;
/** A run that has lost its worker goes before all others. */
const FIRST = 1_000;
/** An advisory lock of PostgreSQL's, by our own number. */
const SWEEP_LOCK = 4202;

type LayRun = Pick<typeof schema.layRuns.$inferSelect, 'id' | 'seconds' | 'askedBy'>;

const held = globalThis as { jollyBoltBoss?: Promise<PgBoss> };

/** How a worker's connections call themselves, so that anyone can see whether one is there. */
export const WORKER_NAME = 'jolly-bolt worker';
let isWorker = false;
const processName = () => (isWorker ? WORKER_NAME : 'jolly-bolt web');

const boss = (): Promise<PgBoss> =>
  (held.jollyBoltBoss ??= (async () => {
    const started = new PgBoss({ connectionString: databaseUrl(), max: 4, application_name: processName() });
    started.on('error', (error) => console.error(`The lay queue: ${error.message}`));
    await started.start();
    await started.createQueue(QUEUE);
    return started;
  })());

/** Runs the queue's statements in a transaction of ours, so that a request is there exactly when the batch says that it waits. */
const within = (tx: Transaction) => ({
  executeSql: async (text: string, values: unknown[]) => {
    // $1, $2 … become parameters of drizzle's.
    const parts = text.split(/\$(\d+)/).map((part, i) => (i % 2 === 0 ? sql.raw(part) : sql`${sql.param(values[Number(part) - 1])}`)); // prettier-ignore
    return { rows: (await tx.execute(sql.join(parts))).rows as unknown[] };
  },
});

/**
 * Asks the queue to work a lay run; any worker may take it. Fair between people: whoever has more runs waiting comes later with the
 * next one, so that one batch of somebody else does not wait for fifty.
 */
export async function requestLay(tx: Transaction, run: LayRun) {
  const { layRuns } = schema;
  const [open] = await tx
    .select({ n: count() })
    .from(layRuns)
    .where(
      and(
        inArray(layRuns.state, ['waiting', 'running']),
        run.askedBy === null ? isNull(layRuns.askedBy) : eq(layRuns.askedBy, run.askedBy),
      ),
    );
  await send(tx, run, -(open?.n ?? 0));
}

async function send(tx: Transaction, { id, seconds }: LayRun, priority: number) {
  const options = { retryLimit: 0, expireInSeconds: seconds + SPARE_S, priority };
  await (await boss()).send(QUEUE, { runId: id }, { ...options, db: within(tx) } as PgBoss.SendOptions);
}

/** Starts working the queue in this process, and takes up runs whose worker was killed. */
export async function startWorking(): Promise<void> {
  isWorker = true;
  const queue = await boss();
  const worker = `${hostname()} ${process.pid}`;
  await queue.work<{ runId: number }>(QUEUE, { pollingIntervalSeconds: 0.5, priority: true }, async ([job]) => {
    if (job) await layBatch(database(), job.data.runId, worker);
  });
  await takeUpLost().catch(() => undefined);
  setInterval(() => takeUpLost().catch(() => undefined), SWEEP_EVERY_MS).unref();
}

/** Ends the work of this process: what it has begun is taken up by another worker. */
export const stopWorking = async (): Promise<void> => {
  await (await held.jollyBoltBoss)?.stop({ graceful: false });
};

/**
 * Sends runs again that have lost their worker, also one that died between taking the job and taking the run. What waits in the queue is
 * left there.
 */
export async function takeUpLost(): Promise<void> {
  const { batches, layRuns } = schema;
  await transact(async (tx) => {
    // One worker looks at a time.
    const { rows } = await tx.execute(sql`SELECT pg_try_advisory_xact_lock(${SWEEP_LOCK}) AS "isOurs"`);
    if (!(rows[0] as { isOurs: boolean }).isOurs) return;
    const isLost = and(
      inArray(layRuns.state, LAY_RUN_TRANSITIONS.lose.from),
      or(isNull(layRuns.heartbeatAt), lt(layRuns.heartbeatAt, sql`now() - make_interval(secs => ${LOST_AFTER_S})`)),
    );
    // Batches are locked before their runs, as everywhere; one that somebody is at has its turn next time.
    const held = await tx
      .select({ id: batches.id, runId: layRuns.id })
      .from(batches)
      .innerJoin(layRuns, eq(layRuns.id, batches.runId))
      .where(isLost)
      .for('update', { of: batches, skipLocked: true });
    const runs = held.map(({ runId }) => runId);
    const lost = await tx
      .update(layRuns)
      .set({ state: LAY_RUN_TRANSITIONS.lose.to, worker: null, heartbeatAt: null })
      .where(and(inArray(layRuns.id, runs), isLost))
      .returning({ id: layRuns.id, seconds: layRuns.seconds, askedBy: layRuns.askedBy });
    await tx
      .update(batches)
      .set({ status: 'queued' })
      .where(and(inArray(batches.runId, lost.map(({ id }) => id)), inArray(batches.status, startsOf('lose')))); // prettier-ignore
    const orphans = await tx
      .select({ id: layRuns.id, seconds: layRuns.seconds, askedBy: layRuns.askedBy })
      .from(layRuns)
      .where(
        and(
          eq(layRuns.state, 'waiting'),
          lt(layRuns.askedAt, sql`now() - make_interval(secs => ${LOST_AFTER_S})`),
          sql`NOT EXISTS (SELECT FROM pgboss.job j WHERE j.name = ${QUEUE} AND j.state IN ('created', 'retry') AND (j.data->>'runId')::int = ${layRuns.id})`,
        ),
      );
    for (const run of [...lost, ...orphans]) await send(tx, run, FIRST);
  });
}

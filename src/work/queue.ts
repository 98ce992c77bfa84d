import { hostname } from 'node:os';
import { and, count, eq, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import type PgBoss from 'pg-boss';
import { database, schema, transact, type Transaction } from '@/db';
import { BATCH_TRANSITIONS, LAY_RUN_TRANSITIONS } from '@/core/batch';
import { movesOf } from '@/core/transitions';
import { ALONE_QUEUE, boss, LAY_QUEUE, WORKER_NAME, within } from './boss';
import { layBatch } from './lay-batch';
import { findLengths, findOnce, searchHere, type AloneRequest } from './lengths-alone';
import { LayFailure } from '@/records/cut-lists';
import { takesAlone } from '@/records/order-takes';

/** How many requests for a length are taken from the queue at a time. */
const ALONE_AT_ONCE = 8;
const SWEEP_EVERY_MS = 3_000;
/** A run whose worker was not heard of for so long, by the database's clock, has lost it. */
const LOST_AFTER_S = 6;
/** Time (s) of a job beyond the search itself: reading, the orders by themselves, saving. */
const SPARE_S = 300;
/** A run that has lost its worker goes before all others. */
const FIRST = 1_000;
/** An advisory lock of PostgreSQL's, by our own number. */
const SWEEP_LOCK = 4202;

type LayRun = Pick<typeof schema.layRuns.$inferSelect, 'id' | 'seconds' | 'askedBy'>;

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
        inArray(layRuns.state, movesOf(LAY_RUN_TRANSITIONS, 'drop').from),
        run.askedBy === null ? isNull(layRuns.askedBy) : eq(layRuns.askedBy, run.askedBy),
      ),
    );
  await send(tx, run, -(open?.n ?? 0));
}

async function send(tx: Transaction, { id, seconds }: LayRun, priority: number) {
  const options = { retryLimit: 0, expireInSeconds: seconds + SPARE_S, priority };
  await (await boss()).send(LAY_QUEUE, { runId: id }, { ...options, db: within(tx) } as PgBoss.SendOptions);
}

/** Starts working the queue in this process, and takes up runs whose worker was killed. */
export async function startWorking(): Promise<void> {
  searchHere();
  const queue = await boss(WORKER_NAME);
  const worker = `${hostname()} ${process.pid}`;
  await queue.work<{ runId: number }>(LAY_QUEUE, { pollingIntervalSeconds: 0.5, priority: true }, async ([job]) => {
    if (job) await layBatch(database(), job.data.runId, worker);
  });
  const alone = { pollingIntervalSeconds: 0.5, batchSize: ALONE_AT_ONCE };
  await queue.work<AloneRequest>(ALONE_QUEUE, alone, async (jobs) => {
    await Promise.all(jobs.map(({ data }) => findAlone(data)));
  });
  await takeUpLost().catch(() => undefined);
  setInterval(() => takeUpLost().catch(() => undefined), SWEEP_EVERY_MS).unref();
}

/** Finds a length, or all of an order, and keeps them. An order that can't be cut says so where it is shown. */
async function findAlone(asked: AloneRequest) {
  if ('key' in asked) await findOnce(database(), asked);
  else
    await takesAlone(database(), asked.orderId, findLengths(database())).catch((error: unknown) => {
      if (!(error instanceof LayFailure)) throw error;
    });
}

/**
 * Sends runs again that have lost their worker, also one that died between taking the job and taking the run. What waits in the queue is
 * left there.
 */
async function takeUpLost(): Promise<void> {
  const { batches, layRuns } = schema;
  const lose = movesOf(LAY_RUN_TRANSITIONS, 'lose');
  const batchLoses = movesOf(BATCH_TRANSITIONS, 'lose');
  await transact(async (tx) => {
    // One worker looks at a time.
    const { rows } = await tx.execute(sql`SELECT pg_try_advisory_xact_lock(${SWEEP_LOCK}) AS "isOurs"`);
    if (!(rows[0] as { isOurs: boolean }).isOurs) return;
    const isLost = and(
      inArray(layRuns.state, lose.from),
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
      .set({ state: lose.to, worker: null, heartbeatAt: null })
      .where(and(inArray(layRuns.id, runs), isLost))
      .returning({ id: layRuns.id, seconds: layRuns.seconds, askedBy: layRuns.askedBy });
    await tx
      .update(batches)
      .set({ status: batchLoses.to })
      .where(
        and(
          inArray(
            batches.runId,
            lost.map(({ id }) => id),
          ),
          inArray(batches.status, batchLoses.from),
        ),
      );
    const orphans = await tx
      .select({ id: layRuns.id, seconds: layRuns.seconds, askedBy: layRuns.askedBy })
      .from(layRuns)
      .where(
        and(
          eq(layRuns.state, lose.to),
          lt(layRuns.askedAt, sql`now() - make_interval(secs => ${LOST_AFTER_S})`),
          sql`NOT EXISTS (SELECT FROM pgboss.job j WHERE j.name = ${LAY_QUEUE} AND j.state IN ('created', 'retry') AND (j.data->>'runId')::int = ${layRuns.id})`,
        ),
      );
    for (const run of [...lost, ...orphans]) await send(tx, run, FIRST);
  });
}

import { and, eq, isNull, lt, or, sql } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import { database, databaseUrl, schema, type Transaction } from '@/db';
import { layBatch } from './lay-batch';

const QUEUE = 'lay';
const SWEEP_EVERY_MS = 3_000;
/** A batch that is being laid and whose worker was not heard of for so long, by the database's clock, has lost it. */
const LOST_AFTER_S = 6;
/** What a job may take beyond the search itself: reading, the orders by themselves, saving. */
const SPARE_S = 300;

interface LayRequest {
  batchId: number;
  run: number;
}

const held = globalThis as { jollyBoltBoss?: Promise<PgBoss> };

const boss = (): Promise<PgBoss> =>
  (held.jollyBoltBoss ??= (async () => {
    const started = new PgBoss({ connectionString: databaseUrl(), max: 4 });
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

/** Asks the queue to make a batch's lays. Any process that works the queue may take it. */
export async function requestLay(
  tx: Transaction,
  { seconds, personId: _, ...request }: LayRequest & { seconds: number; personId: number | null },
) {
  const options = { retryLimit: 0, expireInSeconds: seconds + SPARE_S };
  await (await boss()).send(QUEUE, request, { ...options, db: within(tx) } as PgBoss.SendOptions);
}

/** Starts working the queue in this process, and takes up batches whose worker was killed. */
export async function startWorking(): Promise<void> {
  const queue = await boss();
  await queue.work<LayRequest>(QUEUE, { pollingIntervalSeconds: 0.5 }, async ([job]) => {
    if (job) await layBatch(database(), job.data.batchId, job.data.run);
  });
  await takeUpLost().catch(() => undefined);
  setInterval(() => takeUpLost().catch(() => undefined), SWEEP_EVERY_MS).unref();
}

/** Sends batches again that are being laid by nobody. What waits is in the queue, and is left there. */
export async function takeUpLost(): Promise<void> {
  const { batches } = schema;
  await database().transaction(async (tx) => {
    const lost = await tx
      .update(batches)
      .set({ status: 'queued', run: sql`${batches.run} + 1`, heartbeatAt: null, updatedAt: new Date() })
      .where(
        and(
          eq(batches.status, 'laying'),
          or(isNull(batches.heartbeatAt), lt(batches.heartbeatAt, sql`now() - make_interval(secs => ${LOST_AFTER_S})`)),
        ),
      )
      .returning({ batchId: batches.id, run: batches.run, seconds: batches.seconds });
    for (const request of lost) await requestLay(tx, { ...request, personId: null });
  });
}

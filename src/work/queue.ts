import { and, inArray, lt, sql } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import { database, databaseUrl, schema } from '@/db';
import { layBatch } from './lay-batch';

const QUEUE = 'lay';
const SWEEP_EVERY_MS = 10_000;
/** A batch that waits or is being laid and whose row has not been touched for so long has lost its worker. */
const LOST_AFTER_S = 15;

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

/** Asks the queue to make a batch's lays. Any process that works the queue may take it. */
export async function requestLay(request: LayRequest): Promise<void> {
  await (await boss()).send(QUEUE, request, { retryLimit: 0 });
}

/** Starts working the queue in this process, and takes up batches whose worker was killed. */
export async function startWorking(): Promise<void> {
  const queue = await boss();
  await queue.work<LayRequest>(QUEUE, { pollingIntervalSeconds: 0.5 }, async ([job]) => {
    if (job) await layBatch(database(), job.data.batchId, job.data.run);
  });
  const sweep = async () => {
    const lost = await database()
      .update(schema.batches)
      .set({ status: 'queued', run: sql`${schema.batches.run} + 1`, updatedAt: new Date() })
      .where(
        and(
          inArray(schema.batches.status, ['queued', 'laying']),
          lt(schema.batches.updatedAt, sql`now() - make_interval(secs => ${LOST_AFTER_S})`),
        ),
      )
      .returning({ batchId: schema.batches.id, run: schema.batches.run });
    for (const request of lost) await requestLay(request);
  };
  setInterval(() => sweep().catch(() => undefined), SWEEP_EVERY_MS).unref();
}

import { sql } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import { databaseUrl, type Transaction } from '@/db';

/** The queues: a lay run of a batch, and lengths that something takes by itself. */
export const LAY_QUEUE = 'lay-run';
export const ALONE_QUEUE = 'alone-length';

/** How a worker's connections call themselves, so that anyone can see whether one is there. */
export const WORKER_NAME = 'jolly-bolt worker';

const held = globalThis as { jollyBoltBoss?: Promise<PgBoss> };

/** The queue of this process, begun at first use under its name. */
export const boss = (name = 'jolly-bolt web'): Promise<PgBoss> =>
  (held.jollyBoltBoss ??= (async () => {
    const started = new PgBoss({ connectionString: databaseUrl(), max: 4, application_name: name });
    started.on('error', (error) => console.error(`The queue: ${error.message}`));
    await started.start();
    await started.createQueue(LAY_QUEUE);
    await started.createQueue(ALONE_QUEUE, { name: ALONE_QUEUE, policy: 'short' });
    return started;
  })());

/** Ends the queue of this process, if it was begun. */
export const stopBoss = async (): Promise<void> => {
  await (await held.jollyBoltBoss)?.stop({ graceful: false });
};

/** Runs the queue's statements in a transaction of ours, so that a request is there exactly when what asks for it is. */
export const within = (tx: Transaction) => ({
  executeSql: async (text: string, values: unknown[]) => {
    // $1, $2 … become parameters of drizzle's.
    const parts = text
      .split(/\$(\d+)/)
      .map((part, i) => (i % 2 === 0 ? sql.raw(part) : sql`${sql.param(values[Number(part) - 1])}`));
    return { rows: (await tx.execute(sql.join(parts))).rows as unknown[] };
  },
});

import { and, eq, inArray, sql } from 'drizzle-orm';
import { BATCH_TRANSITIONS, LAY_RUN_TRANSITIONS, type BestSoFar } from '@/core/batch';
import { movesOf } from '@/core/transitions';
import { schema, type Database } from '@/db';
import type { Cancel } from './pool';

const REPORT_EVERY_MS = 300;

/** A run as one worker holds it: nothing is written for a lease that has passed to another. */
export interface Lease {
  runId: number;
  batchId: number;
  attempt: number;
}

export const isHeld = ({ runId, attempt }: Lease) =>
  and(eq(schema.layRuns.id, runId), eq(schema.layRuns.attempts, attempt), eq(schema.layRuns.state, 'running'));

/** Takes a waiting run; null when another has it or nobody wants it any more. */
export async function take(db: Database, runId: number, worker: string): Promise<Lease | null> {
  const moves = movesOf(LAY_RUN_TRANSITIONS, 'take');
  return db.transaction(async (tx) => {
    // Batches are locked before their runs, as everywhere.
    const [batch] = await tx
      .select({ id: schema.batches.id })
      .from(schema.batches)
      .where(eq(schema.batches.runId, runId))
      .for('update');
    if (!batch) return null;
    const [taken] = await tx
      .update(schema.layRuns)
      .set({
        state: moves.to,
        worker,
        progress: 0,
        note: 'Reading the orders',
        attempts: sql`${schema.layRuns.attempts} + 1`,
        heartbeatAt: sql`now()`,
      })
      .where(and(eq(schema.layRuns.id, runId), inArray(schema.layRuns.state, moves.from)))
      .returning({ attempt: schema.layRuns.attempts });
    if (!taken) return null;
    const { to } = movesOf(BATCH_TRANSITIONS, 'take');
    await tx.update(schema.batches).set({ status: to }).where(eq(schema.batches.id, batch.id));
    return { runId, batchId: batch.id, attempt: taken.attempt };
  });
}

/** Ends a run that came to nothing, with the reason in a sentence. */
export async function fail(db: Database, lease: Lease, error: string): Promise<void> {
  await db.transaction(async (tx) => {
    await tx
      .select({ id: schema.batches.id })
      .from(schema.batches)
      .where(eq(schema.batches.id, lease.batchId))
      .for('update');
    const failed = await tx
      .update(schema.layRuns)
      .set({
        state: movesOf(LAY_RUN_TRANSITIONS, 'fail').to,
        error,
        bestSoFar: null,
        secondsLeft: null,
        endedAt: sql`now()`,
      })
      .where(isHeld(lease))
      .returning({ id: schema.layRuns.id });
    if (failed.length > 0)
      await tx
        .update(schema.batches)
        .set({ status: movesOf(BATCH_TRANSITIONS, 'fail').to, updatedAt: new Date() })
        .where(and(eq(schema.batches.id, lease.batchId), eq(schema.batches.runId, lease.runId)));
  });
}

/** How far a run has come. */
export interface Progress {
  /** 0 to 1. */
  progress: number;
  note: string;
  secondsLeft: number | null;
  best: BestSoFar | null;
}

/** Writes progress to the run's row now and then, which is its heartbeat, and reads there that the search should end. */
export function watchRun(db: Database, lease: Lease, cancel: Cancel) {
  let latest: Progress = { progress: 0, note: 'Reading the orders', secondsLeft: null, best: null };
  const beat = async () => {
    const [row] = await db
      .update(schema.layRuns)
      .set({
        progress: Math.min(1, latest.progress),
        note: latest.note,
        secondsLeft: latest.secondsLeft,
        bestSoFar: latest.best,
        heartbeatAt: sql`now()`,
      })
      .where(isHeld(lease))
      .returning({ cancelRequested: schema.layRuns.cancelRequested });
    // A batch that was deleted or asked for again, or a lease that has passed on, needs no further search either.
    if (!row || row.cancelRequested) cancel.request();
  };
  let pending: Promise<unknown> = Promise.resolve();
  const timer = setInterval(() => {
    pending = beat().catch(() => undefined);
  }, REPORT_EVERY_MS);
  return {
    report: (progress: Progress) => {
      latest = progress;
    },
    end: async () => {
      clearInterval(timer);
      await pending;
    },
  };
}

import 'server-only';
import { and, inArray, sql } from 'drizzle-orm';
import { schema, type Transaction } from '@/db';
import { keepVersions } from '@/db/lay-versions';
import { BATCH_STATES, BATCH_TRANSITIONS, hasFailed, isDraft, LAY_RUN_TRANSITIONS } from '@/core/batch';
import { canHappen, movesOf } from '@/core/transitions';

/** States of a batch that can be reopened and has lays, or will soon. */
const WITH_LAYS = BATCH_STATES.filter(
  (state) => canHappen(BATCH_TRANSITIONS, state, 'reopen') && !isDraft(state) && !hasFailed(state),
);

/**
 * Puts batches back to choosing because what they cut has changed: their lays become older versions, its run is dropped, and the
 * batch says why (“Order 205 has changed”). Approved batches are never touched. Returns the names of those that had lays or were being laid.
 */
export async function reopenBatches(tx: Transaction, ids: readonly number[], why: string): Promise<string[]> {
  if (ids.length === 0) return [];
  const { batches } = schema;
  const reopen = movesOf(BATCH_TRANSITIONS, 'reopen');
  const drop = movesOf(LAY_RUN_TRANSITIONS, 'drop');
  const dropped = await tx
    .select({ name: batches.name })
    .from(batches)
    .where(and(inArray(batches.id, [...ids]), inArray(batches.status, WITH_LAYS)))
    .orderBy(batches.name);
  const reopened = await tx
    .update(batches)
    .set({
      status: reopen.to,
      // The first change says why there are no lays any more.
      note: sql`CASE WHEN ${batches.status} = ${reopen.to} THEN ${batches.note} ELSE ${why} END`,
      runId: null,
      version: sql`${batches.version} + 1`,
      updatedAt: new Date(),
    })
    .where(and(inArray(batches.id, [...ids]), inArray(batches.status, reopen.from)))
    .returning({ id: batches.id });
  const open = reopened.map(({ id }) => id);
  if (open.length > 0) {
    await keepVersions(tx, open);
    await tx.delete(schema.lays).where(inArray(schema.lays.batchId, open));
    await tx
      .update(schema.layRuns)
      .set({ state: drop.to, bestSoFar: null, endedAt: sql`now()` })
      .where(and(inArray(schema.layRuns.batchId, open), inArray(schema.layRuns.state, drop.from)));
  }
  return dropped.map(({ name }) => name);
}

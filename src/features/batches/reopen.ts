import 'server-only';
import { and, inArray, notInArray, sql } from 'drizzle-orm';
import { schema, type Transaction } from '@/db';
import { keepVersions } from '@/db/lay-versions';
import { LAY_RUN_TRANSITIONS, startsOf } from '@/core/batch';

/**
 * Puts batches back to choosing because what they cut has changed: their lays become older versions, its run is dropped, and the
 * batch says why (“Order 205 has changed”). Approved batches are never touched. Returns the names of those that had lays or were being laid.
 */
export async function reopenBatches(tx: Transaction, ids: readonly number[], why: string): Promise<string[]> {
  if (ids.length === 0) return [];
  const { batches } = schema;
  const dropped = await tx
    .select({ name: batches.name })
    .from(batches)
    .where(and(inArray(batches.id, [...ids]), notInArray(batches.status, ['draft', 'failed', 'approved', 'cut'])))
    .orderBy(batches.name);
  const reopened = await tx
    .update(batches)
    .set({
      status: 'draft',
      // The first change says why there are no lays any more.
      note: sql`CASE WHEN ${batches.status} = 'draft' THEN ${batches.note} ELSE ${why} END`,
      runId: null,
      version: sql`${batches.version} + 1`,
      updatedAt: new Date(),
    })
    .where(and(inArray(batches.id, [...ids]), inArray(batches.status, startsOf('reopen'))))
    .returning({ id: batches.id });
  const open = reopened.map(({ id }) => id);
  if (open.length > 0) {
    await keepVersions(tx, open);
    await tx.delete(schema.lays).where(inArray(schema.lays.batchId, open));
    await tx
      .update(schema.layRuns)
      .set({ state: 'dropped', bestSoFar: null, endedAt: sql`now()` })
      .where(and(inArray(schema.layRuns.batchId, open), inArray(schema.layRuns.state, LAY_RUN_TRANSITIONS.drop.from)));
  }
  return dropped.map(({ name }) => name);
}

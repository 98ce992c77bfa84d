import 'server-only';
import { and, inArray, notInArray, sql } from 'drizzle-orm';
import { schema, type Transaction } from '@/db';
import { startsOf } from '@/core/batch';

/**
 * Puts batches back to choosing because what they cut has changed: their lays are dropped, a running search is disowned, and the
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
      progress: 0,
      bestSoFar: null,
      // The first change tells why there are no lays any more.
      progressNote: sql`CASE WHEN ${batches.status} = 'draft' THEN ${batches.progressNote} ELSE ${why} END`,
      error: '',
      run: sql`${batches.run} + 1`,
      version: sql`${batches.version} + 1`,
      updatedAt: new Date(),
    })
    .where(and(inArray(batches.id, [...ids]), inArray(batches.status, startsOf('reopen'))))
    .returning({ id: batches.id });
  if (reopened.length > 0)
    await tx.delete(schema.lays).where(
      inArray(
        schema.lays.batchId,
        reopened.map(({ id }) => id),
      ),
    );
  return dropped.map(({ name }) => name);
}

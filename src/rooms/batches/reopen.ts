import 'server-only';
import { and, inArray, notInArray, sql } from 'drizzle-orm';
import { schema, type Transaction } from '@/db';

/**
 * Puts batches back to choosing because what they cut has changed: their lays are dropped and a running search is
 * disowned. Approved batches are never touched.
 */
export async function reopenBatches(tx: Transaction, ids: readonly number[]): Promise<void> {
  if (ids.length === 0) return;
  const reopened = await tx
    .update(schema.batches)
    .set({
      status: 'draft',
      progress: 0,
      bestSoFar: null,
      progressNote: '',
      error: '',
      run: sql`${schema.batches.run} + 1`,
      version: sql`${schema.batches.version} + 1`,
      updatedAt: new Date(),
    })
    .where(and(inArray(schema.batches.id, [...ids]), notInArray(schema.batches.status, ['approved', 'cut'])))
    .returning({ id: schema.batches.id });
  if (reopened.length > 0)
    await tx.delete(schema.lays).where(
      inArray(
        schema.lays.batchId,
        reopened.map(({ id }) => id),
      ),
    );
}

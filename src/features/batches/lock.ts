import 'server-only';
import { and, asc, eq, inArray, isNotNull } from 'drizzle-orm';
import { schema, type Transaction } from '@/db';
import { TryAgain } from '@/features/commands/perform';

export type LockedBatch = Pick<typeof schema.batches.$inferSelect, 'id' | 'name' | 'status'>;

/** Locks batches until the transaction ends, in the order of their ids, before anything else that it locks. */
export async function lockBatches(tx: Transaction, ids: readonly number[]): Promise<LockedBatch[]> {
  if (ids.length === 0) return [];
  const { id, name, status } = schema.batches;
  return tx
    .select({ id, name, status })
    .from(schema.batches)
    .where(inArray(id, [...ids]))
    .orderBy(asc(id))
    .for('update');
}

const batchIdsOf = async (tx: Transaction, orderId: number): Promise<number[]> => {
  const rows = await tx
    .selectDistinct({ id: schema.orderLines.batchId })
    .from(schema.orderLines)
    .where(and(eq(schema.orderLines.orderId, orderId), isNotNull(schema.orderLines.batchId)));
  return rows.map(({ id }) => id!);
};

/**
 * Locks the batches of an order's lines, then the order itself; its row, or undefined when there is none. Lines that have got into
 * another batch meanwhile begin the transaction again.
 */
export async function lockOrder(tx: Transaction, orderId: number) {
  const batches = await lockBatches(tx, await batchIdsOf(tx, orderId));
  const [order] = await tx.select().from(schema.orders).where(eq(schema.orders.id, orderId)).for('update');
  const locked = new Set(batches.map(({ id }) => id));
  if ((await batchIdsOf(tx, orderId)).some((id) => !locked.has(id))) throw new TryAgain('a line is in another batch');
  return { batches, order };
}

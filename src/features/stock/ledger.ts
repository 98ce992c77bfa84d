import 'server-only';
import { asc, inArray } from 'drizzle-orm';
import type { Movement, WasteCause } from '@/core/stock';
import { schema, type Transaction } from '@/db';
import type { StockItemRow } from '@/db/shelf';
import type { CommandContext } from '@/features/commands/context';

/** A movement that is to be written, with what it is for. */
export interface Booking extends Movement {
  itemId: number;
  cause?: WasteCause;
  reason?: string;
  orderId?: number | null;
  batchId?: number | null;
  /** The remnant that is kept of it. */
  toItemId?: number;
  reversesId?: number;
}

/** Locks items until the transaction ends, in the order of their ids, after batches, orders and cloths. */
export async function lockItems(tx: Transaction, ids: readonly number[]): Promise<Map<number, StockItemRow>> {
  if (ids.length === 0) return new Map();
  const rows = await tx
    .select()
    .from(schema.stockItems)
    .where(inArray(schema.stockItems.id, [...new Set(ids)]))
    .orderBy(asc(schema.stockItems.id))
    .for('update');
  return new Map(rows.map((row) => [row.id, row]));
}

/** Writes movements; the database keeps the balances and refuses what would make one negative. What is nothing is left out. */
export async function book({ tx, person, now }: CommandContext, bookings: readonly Booking[]): Promise<void> {
  const rows = bookings
    .filter(({ sort, quantity }) => quantity !== 0 || sort === 'moved')
    .map((booking) => ({ ...booking, personId: person?.id ?? null, at: now }));
  if (rows.length > 0) await tx.insert(schema.movements).values(rows);
}

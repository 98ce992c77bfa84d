import { eq } from 'drizzle-orm';
import type { BatchCloth } from '@/core/batch';
import { schema, type Reader } from '@/db';
import type { ClothRow } from '@/db/rows';
import { loadShelf, loadStockChoices } from '@/db/shelf';
import { LayFailure, loadCutLists, type OrderToCut } from './cut-lists';

/** Lines and cloths of a batch, ready to be laid. */
export interface Loaded {
  seconds: number;
  seed: number;
  orders: OrderToCut[];
  cloths: (BatchCloth & { row: ClothRow })[];
}

/** Loads what a batch cuts: the cut list of its lines by order, the cloths that they name, and what of these is on the shelf. */
export async function loadBatch(db: Reader, batchId: number): Promise<Loaded> {
  const batch = (await db.select().from(schema.batches).where(eq(schema.batches.id, batchId)))[0]!;
  const { orders, clothRows, cloths } = await loadCutLists(db, eq(schema.orderLines.batchId, batchId));
  if (orders.length === 0)
    throw new LayFailure('There is nothing to cut in this batch: choose some order lines first.');
  const shelf = await loadShelf(
    db,
    clothRows.map(({ id }) => id),
  );
  const choices = await loadStockChoices(db, batchId);
  return {
    seconds: batch.seconds,
    seed: batch.seed,
    orders,
    cloths: clothRows.map((row) => {
      const choice = choices.get(row.id);
      return {
        key: String(row.id),
        cloth: cloths.get(String(row.id))!,
        units: row.units,
        shelf: shelf.get(row.id) ?? [],
        ...(choice && { choice }),
        row,
      };
    }),
  };
}

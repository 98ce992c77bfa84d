import { eq, inArray } from 'drizzle-orm';
import type { BatchCloth } from '@/core/batch';
import { cutList, type BatchOrder } from '@/core/cutlist';
import { schema, type Database } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth, toOrderLine, type ClothRow } from '@/db/rows';
import { loadShelf, loadStockChoices, usualMaterials } from '@/db/shelf';

/** A lay that can't be made, in words for the person who asked for it. */
export class LayFailure extends Error {}

/** What a batch cuts, ready to be laid. */
export interface Loaded {
  seconds: number;
  seed: number;
  orders: (BatchOrder & { orderId: number })[];
  cloths: (BatchCloth & { row: ClothRow })[];
}

/** Loads what a batch cuts: the cut list of its lines by order, and the cloths that they name. */
export async function loadBatch(db: Database, batchId: number): Promise<Loaded> {
  const batch = (await db.select().from(schema.batches).where(eq(schema.batches.id, batchId)))[0]!;
  const lines = await db
    .select({ line: schema.orderLines, order: schema.orders })
    .from(schema.orderLines)
    .innerJoin(schema.orders, eq(schema.orders.id, schema.orderLines.orderId))
    .where(eq(schema.orderLines.batchId, batchId))
    .orderBy(schema.orders.no, schema.orderLines.position);
  const ids = lines.map(({ line }) => line.id);
  if (ids.length === 0) throw new LayFailure('There is nothing to cut in this batch: choose some order lines first.');
  const values = await db.select().from(schema.lineValues).where(inArray(schema.lineValues.lineId, ids));
  const named = await db.select().from(schema.lineCloths).where(inArray(schema.lineCloths.lineId, ids));
  const usual = await usualMaterials(db);
  const clothRows = await db
    .select()
    .from(schema.cloths)
    .where(
      inArray(schema.cloths.id, [
        ...new Set([...named.map(({ clothId }) => clothId), ...Object.values(usual).map(Number)]),
      ]),
    ) // prettier-ignore
    .orderBy(schema.cloths.name);
  const parts = await db.select().from(schema.lineParts).where(inArray(schema.lineParts.lineId, ids));
  const kinds = await loadKindBook(db);
  const cloths = new Map(clothRows.map((row) => [String(row.id), toCloth(row)]));

  const orders: Loaded['orders'] = [];
  for (const orderId of new Set(lines.map(({ order }) => order.id))) {
    const own = lines.filter(({ order }) => order.id === orderId);
    const { no, units } = own[0]!.order;
    const list = cutList(
      own.map(({ line }) => {
        const read = toOrderLine(
          line,
          values.filter(({ lineId }) => lineId === line.id),
          named.filter(({ lineId }) => lineId === line.id),
          parts.filter(({ lineId }) => lineId === line.id),
        );
        return { ...read, cloth: { ...usual, ...read.cloth } };
      }),
      units,
      { kinds, cloths },
    );
    if (!list.ok) throw new LayFailure(`Order ${no}: ${list.faults[0]!.message}`);
    const stop = list.value.warnings.find(({ level }) => level === 'stop');
    if (stop)
      throw new LayFailure(
        `Order ${no}, line ${stop.line} (${kinds.find(own.find(({ line }) => String(line.position) === stop.line)!.line.kind)!.name}): ${stop.message}`,
      );
    orders.push({ orderId, orderNo: String(no), cutList: list.value });
  }
  const shelf = await loadShelf(db, clothRows.map(({ id }) => id)); // prettier-ignore
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

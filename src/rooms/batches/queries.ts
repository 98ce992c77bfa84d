import 'server-only';
import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { printNumber, STYLES, type Nm } from '@/core/length';
import { database, schema } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toOrderLine, type BatchRow, type ClothRow } from '@/db/rows';
import { lookOf } from '@/rooms/cloths/look';
import type { ClothLook } from '@/ui/cloth-pattern';

/** An order line as batches show it. */
export interface BatchLine {
  id: number;
  orderId: number;
  orderNo: number;
  mark: number;
  customer: string;
  due: string;
  qty: number;
  kind: string;
  sizes: string;
  clothIds: number[];
}

export interface BatchCloth {
  id: number;
  name: string;
  look: ClothLook;
}

/** The lines that wait for a batch (`batchId` null) or are in one, by due date, with the cloths that they name. */
export async function batchLines(batchId: number | null): Promise<{ lines: BatchLine[]; cloths: BatchCloth[] }> {
  const db = database();
  const inBatch = batchId === null ? isNull(schema.orderLines.batchId) : eq(schema.orderLines.batchId, batchId);
  const rows = await db
    .select({ line: schema.orderLines, order: schema.orders, customer: schema.customers.name })
    .from(schema.orderLines)
    .innerJoin(schema.orders, eq(schema.orders.id, schema.orderLines.orderId))
    .innerJoin(schema.customers, eq(schema.customers.id, schema.orders.customerId))
    .where(and(inBatch, isNull(schema.orders.deletedAt)))
    .orderBy(schema.orders.due, schema.orders.no, schema.orderLines.position);
  const ids = rows.map(({ line }) => line.id);
  if (ids.length === 0) return { lines: [], cloths: [] };
  const values = await db.select().from(schema.lineValues).where(inArray(schema.lineValues.lineId, ids));
  const named = await db.select().from(schema.lineCloths).where(inArray(schema.lineCloths.lineId, ids));
  const cloths = await db
    .select()
    .from(schema.cloths)
    .where(inArray(schema.cloths.id, [...new Set(named.map(({ clothId }) => clothId))]))
    .orderBy(schema.cloths.name);
  const kinds = await loadKindBook(db);
  return {
    cloths: cloths.map((row) => ({ id: row.id, name: row.name, look: lookOf(row) })),
    lines: rows.map(({ line, order, customer }) => {
      const kind = kinds.find(line.kind, line.kindVersion);
      const { measures } = toOrderLine(
        line,
        values.filter(({ lineId }) => lineId === line.id),
        [],
        [],
      );
      const size = (length: Nm) => printNumber(length, STYLES[order.units]).text;
      return {
        id: line.id,
        orderId: order.id,
        orderNo: order.no,
        mark: order.mark,
        customer,
        due: order.due,
        qty: line.qty,
        kind: kind?.name ?? line.kind,
        sizes: `${(kind?.measures ?? []).map(({ id }) => size(measures[id] ?? 0)).join(' × ')} ${STYLES[order.units].unit}`,
        clothIds: [...new Set(named.filter(({ lineId }) => lineId === line.id).map(({ clothId }) => clothId))],
      };
    }),
  };
}

export interface BatchListRow {
  id: number;
  name: string;
  status: BatchRow['status'];
  covers: number;
  orders: { no: number; mark: number }[];
  cloths: { name: string; look: ClothLook; id: number }[];
  /** Costs of its lays by currency, minor units. */
  cost: Record<string, number>;
  updatedAt: string;
}

export async function listBatches(): Promise<BatchListRow[]> {
  const db = database();
  const rows = await db.select().from(schema.batches).orderBy(desc(schema.batches.id)).limit(200);
  const lays = await db
    .select({ batchId: schema.lays.batchId, cost: schema.lays.costMinor, currency: schema.lays.currency })
    .from(schema.lays);
  return Promise.all(
    rows.map(async (row) => {
      const { lines, cloths } = await batchLines(row.id);
      const cost: Record<string, number> = {};
      for (const lay of lays.filter(({ batchId }) => batchId === row.id))
        cost[lay.currency] = (cost[lay.currency] ?? 0) + lay.cost;
      return {
        id: row.id,
        name: row.name,
        status: row.status,
        covers: lines.reduce((sum, { qty }) => sum + qty, 0),
        orders: [...new Map(lines.map(({ orderNo, mark }) => [orderNo, { no: orderNo, mark }])).values()],
        cloths,
        cost,
        updatedAt: row.updatedAt.toISOString(),
      };
    }),
  );
}

export interface LaySummary {
  id: number;
  clothId: number;
  clothName: string;
  look: ClothLook;
  units: 'in' | 'mm';
  usedNm: Nm;
  boundNm: Nm;
  boughtNm: Nm;
  handNm: Nm;
  costMinor: number;
  handCostMinor: number;
  currency: string;
  wastePart: number;
  unplaced: number;
}

/** A batch with its lines, cloths and lays, or null. */
export async function getBatch(id: number) {
  const db = database();
  const [batch] = await db.select().from(schema.batches).where(eq(schema.batches.id, id));
  if (!batch) return null;
  const { lines, cloths } = await batchLines(id);
  const rows = await db.select().from(schema.lays).where(eq(schema.lays.batchId, id)).orderBy(schema.lays.id);
  const lays = rows.map((row): LaySummary => {
    const cloth = row.cloth as ClothRow;
    return {
      id: row.id,
      clothId: row.clothId,
      clothName: cloth.name,
      look: lookOf(cloth),
      units: row.units,
      usedNm: row.usedNm,
      boundNm: row.boundNm,
      boughtNm: row.boughtNm,
      handNm: row.handNm,
      costMinor: row.costMinor,
      handCostMinor: row.handCostMinor,
      currency: row.currency,
      wastePart: row.wastePart,
      unplaced: (row.plan as { unplaced: unknown[] }).unplaced.length,
    };
  });
  return { batch, lines, cloths, lays };
}

export type BatchView = NonNullable<Awaited<ReturnType<typeof getBatch>>>;

/** How far the making of a batch's lays has come. */
export async function batchProgress(id: number) {
  const [row] = await database()
    .select({
      status: schema.batches.status,
      progress: schema.batches.progress,
      note: schema.batches.progressNote,
      secondsLeft: schema.batches.secondsLeft,
      best: schema.batches.bestSoFar,
      error: schema.batches.error,
    })
    .from(schema.batches)
    .where(eq(schema.batches.id, id));
  return row ?? null;
}

import 'server-only';
import { isBeingLaid } from '@/core/batch';
import { WORKER_NAME } from '@/work/boss';
import { and, asc, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { printNumber, STYLES, type Nm } from '@/core/length';
import { database, schema } from '@/db';
import { pageOf, readCursor, turned, type SortKey } from '@/db/keyset';
import { loadKindBook } from '@/db/kinds';
import type { BatchRow, ClothRow } from '@/db/rows';
import { lookOf } from '@/features/cloth/look';
import type { LayStock } from '@/core/stock';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';

const { batches, cloths, customers, lays, lineCloths, orderLines, orders } = schema;

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

export interface ClothOfBatch {
  id: number;
  name: string;
  look: ClothLook;
  /** How many of the lines have it on their faces, and how many covers these are. */
  lines: number;
  covers: number;
}

export interface BatchLines {
  lines: BatchLine[];
  cloths: ClothOfBatch[];
  /** How many lines there are; `lines` are the first of them by due date. */
  total: number;
}

/** Most lines on one page of a list; of more, the first of each of the cloths whose lines are due soonest. */
const SHOWN_IN_ALL = 96;
const SHOWN_CLOTHS_OPEN = 12;

const isWaiting = sql`${orderLines.batchId} IS NULL AND ${orders.deletedAt} IS NULL`;

/** The lines that wait for a batch, or are in one, by due date: the first of each cloth, and how many there are. */
export async function batchLines(batchId: number | null): Promise<BatchLines> {
  const db = database();
  const within = batchId === null ? isWaiting : eq(orderLines.batchId, batchId);
  const counted = db
    .select({
      clothId: lineCloths.clothId,
      lines: sql<number>`count(*)::int`.as('lines'),
      covers: sql<number>`sum(${orderLines.qty})::int`.as('covers'),
      due: sql<string>`min(${orders.due})::text`.as('due'),
    })
    .from(orderLines)
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .innerJoin(lineCloths, and(eq(lineCloths.lineId, orderLines.id), eq(lineCloths.role, 'face')))
    .where(within)
    .groupBy(lineCloths.clothId)
    .as('counted');
  const grouped = await db
    .select({ cloth: cloths, lines: counted.lines, covers: counted.covers, due: counted.due })
    .from(counted)
    .innerJoin(cloths, eq(cloths.id, counted.clothId))
    .orderBy(cloths.name);
  const total = grouped.reduce((sum, one) => sum + one.lines, 0);
  const soonest = [...grouped].sort((a, b) => a.due.localeCompare(b.due)).slice(0, SHOWN_CLOTHS_OPEN);
  const lines =
    total <= SHOWN_IN_ALL
      ? await linesWhere(within)
      : await firstOfEach(
          within,
          soonest.map(({ cloth }) => cloth.id),
          Math.floor(SHOWN_IN_ALL / soonest.length),
        );
  const named = new Map(grouped.map(({ cloth, lines: count, covers }) => [cloth.id, { cloth, lines: count, covers }]));
  const further = [...new Set(lines.flatMap(({ clothIds }) => clothIds))].filter((id) => !named.has(id));
  if (further.length > 0)
    for (const cloth of await db.select().from(cloths).where(inArray(cloths.id, further)))
      named.set(cloth.id, { cloth, lines: 0, covers: 0 });
  return {
    lines,
    total,
    cloths: [...named.values()].map(({ cloth, ...counts }) => ({
      id: cloth.id,
      name: cloth.name,
      look: lookOf(cloth),
      ...counts,
    })),
  };
}

/** The ids of all lines that are in a batch, by the ids of their orders. */
export async function lineIdsByOrder(batchId: number): Promise<Map<number, Set<number>>> {
  const rows = await database()
    .select({ id: orderLines.id, orderId: orderLines.orderId })
    .from(orderLines)
    .where(eq(orderLines.batchId, batchId));
  const map = new Map<number, Set<number>>();
  for (const { id, orderId } of rows) map.set(orderId, (map.get(orderId) ?? new Set()).add(id));
  return map;
}

/** How many lines wait for a batch. */
export async function countWaiting(): Promise<number> {
  // Few orders are deleted: their lines are counted apart, so that the many are counted from their index alone.
  const [row] = (
    await database().execute<{ count: number }>(sql`
      SELECT ((SELECT count(*) FROM ${orderLines} WHERE ${orderLines.batchId} IS NULL)
        - (SELECT count(*) FROM ${orders} JOIN ${orderLines} ON ${orderLines.orderId} = ${orders.id}
            WHERE ${orders.deletedAt} IS NOT NULL AND ${orderLines.batchId} IS NULL))::int AS count`)
  ).rows;
  return row!.count;
}

/** All lines of a cloth's faces that wait or are in a batch, for the list's `show all`. */
export const linesOfCloth = (batchId: number | null, clothId: number): Promise<BatchLine[]> =>
  linesWhere(
    and(
      batchId === null ? isWaiting : eq(orderLines.batchId, batchId),
      sql`EXISTS (SELECT 1 FROM line_cloths f WHERE f.line_id = ${orderLines.id} AND f.role = 'face' AND f.cloth_id = ${clothId})`,
    )!,
    MOST_AT_ONCE,
  );

/** The most lines that a batch takes, and that are sent at once. */
const MOST_AT_ONCE = 2000;

/** The first lines by due date whose faces are of each of these cloths. */
async function firstOfEach(within: SQL, clothIds: readonly number[], each: number): Promise<BatchLine[]> {
  const first = await database().execute<{ id: number }>(sql`
    SELECT first.id FROM unnest(${sql.param(clothIds)}::int[]) AS wanted(cloth_id) CROSS JOIN LATERAL (
      SELECT ${orderLines.id} AS id
      FROM ${lineCloths}
      JOIN ${orderLines} ON ${orderLines.id} = ${lineCloths.lineId}
      JOIN ${orders} ON ${orders.id} = ${orderLines.orderId}
      WHERE ${lineCloths.role} = 'face' AND ${lineCloths.clothId} = wanted.cloth_id AND ${within}
      ORDER BY ${orders.due}, ${orders.no}, ${orderLines.position} LIMIT ${each}
    ) AS first`);
  const ids = first.rows.map(({ id }) => id);
  return ids.length > 0 ? linesWhere(inArray(orderLines.id, ids)) : [];
}

async function linesWhere(within: SQL, most = MOST_AT_ONCE): Promise<BatchLine[]> {
  const db = database();
  const rows = await db
    .select({
      line: orderLines,
      order: { id: orders.id, no: orders.no, mark: orders.mark, due: orders.due, units: orders.units },
      customer: customers.name,
      // Its face comes first.
      clothIds: sql<
        number[]
      >`(SELECT json_agg(c.cloth_id ORDER BY c.role <> 'face', c.role) FROM line_cloths c WHERE c.line_id = ${orderLines.id})`,
      values: sql<Values>`(SELECT json_agg(json_build_object('name', v.name, 'nm', v.value_nm)) FROM line_values v WHERE v.line_id = ${orderLines.id} AND v.is_measure)`,
    })
    .from(orderLines)
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(within)
    .orderBy(orders.due, orders.no, orderLines.position)
    .limit(most);
  const kinds = await loadKindBook(db);
  return rows.map(({ line, order, customer, clothIds, values }) => {
    const kind = kinds.find(line.kind, line.kindVersion);
    const measures = new Map((values ?? []).map(({ name, nm }) => [name, nm]));
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
      sizes: `${(kind?.measures ?? []).map(({ id }) => size(measures.get(id) ?? 0)).join(' × ')} ${STYLES[order.units].unit}`,
      clothIds: [...new Set(clothIds)],
    };
  });
}

type Values = { name: string; nm: Nm }[] | null;

export interface BatchListRow {
  id: number;
  name: string;
  status: BatchRow['status'];
  covers: number;
  /** The first of its orders, and how many there are. */
  orders: { no: number; mark: number }[];
  orderCount: number;
  cloths: { name: string; look: ClothLook; id: number }[];
  /** Costs of its lays by currency, minor units. */
  cost: Record<string, number>;
}

const PAGE = 12;
const SHOWN_ORDERS = 8;
const SHOWN_CLOTHS = 6;

const NEWEST_FIRST: readonly SortKey[] = [{ column: sql`${batches.id}`, type: 'int' }];

/** A page of batches, the newest first; `page` is a cursor that an earlier page gave. */
export async function listBatches(
  page = '',
): Promise<{ batches: BatchListRow[]; previous: string | null; next: string | null }> {
  const db = database();
  const cursor = readCursor(page, NEWEST_FIRST);
  const { where, orderBy } = pageOf(NEWEST_FIRST, true, cursor);
  const found = await db
    .select({ id: batches.id, name: batches.name, status: batches.status })
    .from(batches)
    .where(where)
    .orderBy(...orderBy)
    .limit(PAGE + 1);
  const view = turned(found, PAGE, cursor, ({ id }) => [id]);
  const ids = view.rows.map(({ id }) => id);
  if (ids.length === 0) return { batches: [], previous: null, next: null };
  const onCloth = db
    .selectDistinct({ batchId: orderLines.batchId, clothId: lineCloths.clothId })
    .from(orderLines)
    .innerJoin(lineCloths, eq(lineCloths.lineId, orderLines.id))
    .where(inArray(orderLines.batchId, ids))
    .as('on_cloth');
  const [inOrders, onCloths, costs] = await Promise.all([
    db
      .select({
        batchId: orderLines.batchId,
        no: orders.no,
        mark: orders.mark,
        covers: sql<number>`sum(${orderLines.qty})::int`,
      })
      .from(orderLines)
      .innerJoin(orders, eq(orders.id, orderLines.orderId))
      .where(inArray(orderLines.batchId, ids))
      .groupBy(orderLines.batchId, orders.no, orders.mark)
      .orderBy(asc(orders.no)),
    db
      .select({ batchId: onCloth.batchId, cloth: cloths })
      .from(onCloth)
      .innerJoin(cloths, eq(cloths.id, onCloth.clothId))
      .orderBy(cloths.name),
    db
      .select({ batchId: lays.batchId, currency: lays.currency, cost: sql<number>`sum(${lays.costMinor})::bigint` })
      .from(lays)
      .where(inArray(lays.batchId, ids))
      .groupBy(lays.batchId, lays.currency),
  ]);
  const rows = new Map(
    view.rows.map((row): [number, BatchListRow] => [
      row.id,
      { ...row, covers: 0, orders: [], orderCount: 0, cloths: [], cost: {} },
    ]),
  );
  for (const { batchId, no, mark, covers } of inOrders) {
    const row = rows.get(batchId!)!;
    row.covers += covers;
    row.orderCount++;
    if (row.orders.length < SHOWN_ORDERS) row.orders.push({ no, mark });
  }
  for (const { batchId, cloth } of onCloths) {
    const row = rows.get(batchId!)!;
    if (row.cloths.length < SHOWN_CLOTHS) row.cloths.push({ id: cloth.id, name: cloth.name, look: lookOf(cloth) });
  }
  for (const { batchId, currency, cost } of costs) rows.get(batchId)!.cost[currency] = Number(cost);
  return { batches: [...rows.values()], previous: view.previous, next: view.next };
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
  /** Unplaced pieces: how many copies, and the first of them with the reason. */
  unplaced: number;
  whyUnplaced: string;
  /** Use of the shelf, and its shortage. */
  stock: LayStock;
  shortNm: Nm;
  cutAt: string | null;
  /** How it was planned before it was made again; null the first time. */
  before: { usedNm: Nm; costMinor: number } | null;
}

/** An approval of a batch: who gave it and when, and when it was taken back. */
export interface ApprovalRow {
  no: number;
  by: string | null;
  at: string;
  withdrawnAt: string | null;
}

/** A batch with its lines, cloths and lays, or null. */
export async function getBatch(id: number) {
  const db = database();
  const [row] = await db
    .select({ batch: batches, error: schema.layRuns.error })
    .from(batches)
    .leftJoin(schema.layRuns, eq(schema.layRuns.id, batches.runId))
    .where(eq(batches.id, id));
  if (!row) return null;
  const batch = { ...row.batch, error: row.error ?? '' };
  const [{ lines, cloths: onCloths, total }, approved, laid] = await Promise.all([
    batchLines(id),
    db
      .select({
        no: schema.approvals.no,
        at: schema.approvals.at,
        withdrawnAt: schema.approvals.withdrawnAt,
        by: schema.people.name,
      })
      .from(schema.approvals)
      .leftJoin(schema.people, eq(schema.people.id, schema.approvals.personId))
      .where(eq(schema.approvals.batchId, id))
      .orderBy(schema.approvals.no),
    db
      .select({
        id: lays.id,
        clothId: lays.clothId,
        cloth: lays.cloth,
        units: lays.units,
        usedNm: lays.usedNm,
        boundNm: lays.boundNm,
        boughtNm: lays.boughtNm,
        handNm: lays.handNm,
        costMinor: lays.costMinor,
        handCostMinor: lays.handCostMinor,
        currency: lays.currency,
        wastePart: lays.wastePart,
        stock: lays.stock,
        shortNm: lays.shortNm,
        cutAt: lays.cutAt,
        beforeNm: sql<
          string | null
        >`(SELECT v.used_nm FROM lay_versions v WHERE v.batch_id = "lays"."batch_id" AND v.cloth_id = "lays"."cloth_id" AND v.version = "lays"."version" - 1)`,
        beforeMinor: sql<
          string | null
        >`(SELECT v.cost_minor FROM lay_versions v WHERE v.batch_id = "lays"."batch_id" AND v.cloth_id = "lays"."cloth_id" AND v.version = "lays"."version" - 1 AND v.currency = "lays"."currency")`,
        unplaced: sql<number>`jsonb_array_length(${lays.plan}->'unplaced')`,
        first: sql<{ piece?: string; strip?: string; why: string } | null>`${lays.plan}->'unplaced'->0`,
      })
      .from(lays)
      .where(eq(lays.batchId, id))
      .orderBy(lays.id),
  ]);
  return {
    batch,
    lines,
    cloths: onCloths,
    total,
    approvals: approved.map((one): ApprovalRow => ({
      no: one.no,
      by: one.by,
      at: one.at.toISOString(),
      withdrawnAt: one.withdrawnAt?.toISOString() ?? null,
    })),
    lays: laid.map(({ cloth, first, cutAt, beforeNm, beforeMinor, ...lay }): LaySummary => ({
      ...lay,
      before:
        beforeNm === null || beforeMinor === null ? null : { usedNm: Number(beforeNm), costMinor: Number(beforeMinor) },
      cutAt: cutAt?.toISOString() ?? null,
      clothName: (cloth as ClothRow).name,
      look: lookOf(cloth as ClothRow),
      whyUnplaced: first ? `${first.piece ?? first.strip}: ${first.why}` : '',
    })),
  };
}

export type BatchView = NonNullable<Awaited<ReturnType<typeof getBatch>>>;

/** Said of lays that wait while nobody is there to make them. */
const NO_WORKER = 'Waiting: no worker is running. It starts with “npm start” or “npm run worker”';

/** How far the making of a batch's lays has come. */
export async function batchProgress(id: number) {
  const { layRuns } = schema;
  const [row] = await database()
    .select({
      status: batches.status,
      progress: layRuns.progress,
      note: layRuns.note,
      secondsLeft: layRuns.secondsLeft,
      best: layRuns.bestSoFar,
      error: layRuns.error,
      hasWorker: sql<boolean>`EXISTS (SELECT FROM pg_stat_activity WHERE datname = current_database() AND application_name = ${WORKER_NAME})`,
    })
    .from(batches)
    .leftJoin(layRuns, eq(layRuns.id, batches.runId))
    .where(eq(batches.id, id));
  return row
    ? {
        ...row,
        progress: row.progress ?? 0,
        note: isBeingLaid(row.status) && !row.hasWorker ? NO_WORKER : (row.note ?? ''),
        error: row.error ?? '',
      }
    : null;
}

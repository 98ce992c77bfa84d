import 'server-only';
import { lookOf } from '@/rooms/cloths/look';
import { and, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { Cloth } from '@/core/cloth';
import { database, schema } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import type { ClothLook } from '@/ui/cloth-pattern';
import type { LineForm, OrderForm, OrderStatus } from './form';

export interface OrderListRow {
  id: number;
  no: number;
  mark: number;
  customer: string;
  due: string;
  covers: number;
  what: string;
  status: OrderStatus;
  version: number;
}

const status = sql<OrderStatus>`CASE
  WHEN bool_or(${schema.orderLines.batchId} IS NULL) THEN 'waiting'
  WHEN bool_and(${schema.batches.status} = 'cut') THEN 'cut'
  WHEN bool_and(${schema.batches.status} IN ('approved', 'cut')) THEN 'approved'
  ELSE 'batched' END`;

const MOST_ROWS = 20_000;

/** Orders by due date, the soonest first and what is cut last; `search` looks at the number, the customer, the notes and the kinds. */
export async function listOrders({
  search = '',
  only,
}: {
  search?: string;
  only?: OrderStatus;
}): Promise<OrderListRow[]> {
  const book = await loadKindBook(database());
  const conditions: (SQL | undefined)[] = [isNull(schema.orders.deletedAt)];
  for (const word of search.trim().split(/\s+/).filter(Boolean).slice(0, 8)) {
    const like = `%${word.replace(/[\\%_]/g, '\\$&')}%`;
    const kinds = book.current
      .filter(({ name }) => name.toLowerCase().includes(word.toLowerCase()))
      .map(({ id }) => id);
    const ofKind =
      kinds.length > 0
        ? sql` OR EXISTS (SELECT 1 FROM order_lines l WHERE l.order_id = ${schema.orders.id} AND l.kind IN ${kinds})`
        : sql``;
    conditions.push(
      sql`(${schema.customers.name} ILIKE ${like} OR ${schema.orders.no}::text ILIKE ${like} OR ${schema.orders.notes} ILIKE ${like}${ofKind})`,
    );
  }
  const rows = await database()
    .select({
      id: schema.orders.id,
      no: schema.orders.no,
      mark: schema.orders.mark,
      customer: schema.customers.name,
      due: schema.orders.due,
      version: schema.orders.version,
      covers: sql<number>`sum(${schema.orderLines.qty})::int`,
      parts: sql<
        { kind: string; qty: number }[]
      >`json_agg(json_build_object('kind', ${schema.orderLines.kind}, 'qty', ${schema.orderLines.qty}) ORDER BY ${schema.orderLines.position})`,
      status,
    })
    .from(schema.orders)
    .innerJoin(schema.customers, eq(schema.customers.id, schema.orders.customerId))
    .innerJoin(schema.orderLines, eq(schema.orderLines.orderId, schema.orders.id))
    .leftJoin(schema.batches, eq(schema.batches.id, schema.orderLines.batchId))
    .where(and(...conditions))
    .groupBy(schema.orders.id, schema.customers.name)
    .having(only ? sql`${status} = ${only}` : sql`true`)
    .orderBy(sql`${status} = 'cut'`, schema.orders.due, schema.orders.no)
    .limit(MOST_ROWS);
  return rows.map(({ parts, ...row }) => ({
    ...row,
    what: parts.map(({ kind, qty }) => counted(qty, book.find(kind)?.name ?? kind)).join(', '),
  }));
}

/** `4 boxed cushions with a zip panel`: the count, and the kind's noun in the plural. */
const counted = (qty: number, name: string) =>
  `${qty} ${qty === 1 ? name.toLowerCase() : name.toLowerCase().replace(/^((?:\S+ )?cushion)/, '$1s')}`;

export interface StoredOrder {
  id: number;
  no: number;
  mark: number;
  version: number;
  isDeleted: boolean;
  form: OrderForm;
  /** The batches that its lines are in. */
  batches: { id: number; name: string; status: string }[];
}

/** One order as its form shows it, or null when there is none of that id. */
export async function getOrder(id: number): Promise<StoredOrder | null> {
  const db = database();
  const [row] = await db
    .select({ order: schema.orders, customer: schema.customers.name })
    .from(schema.orders)
    .innerJoin(schema.customers, eq(schema.customers.id, schema.orders.customerId))
    .where(eq(schema.orders.id, id));
  if (!row) return null;
  const lines = await db
    .select({ line: schema.orderLines, batch: schema.batches })
    .from(schema.orderLines)
    .leftJoin(schema.batches, eq(schema.batches.id, schema.orderLines.batchId))
    .where(eq(schema.orderLines.orderId, id))
    .orderBy(schema.orderLines.position);
  const ids = lines.map(({ line }) => line.id);
  const values = ids.length
    ? await db
        .select()
        .from(schema.lineValues)
        .where(inArray(schema.lineValues.lineId, ids))
        .orderBy(schema.lineValues.part)
    : [];
  const cloths = ids.length
    ? await db.select().from(schema.lineCloths).where(inArray(schema.lineCloths.lineId, ids))
    : [];
  const parts = ids.length ? await db.select().from(schema.lineParts).where(inArray(schema.lineParts.lineId, ids)) : [];
  const batches = new Map(
    lines.flatMap(({ batch }) => (batch ? [[batch.id, { id: batch.id, name: batch.name, status: batch.status }]] : [])),
  );
  return {
    id,
    no: row.order.no,
    mark: row.order.mark,
    version: row.order.version,
    isDeleted: row.order.deletedAt !== null,
    batches: [...batches.values()],
    form: {
      customer: row.customer,
      due: row.order.due,
      units: row.order.units,
      notes: row.order.notes,
      lines: lines.map(({ line, batch }): LineForm => {
        const own = values.filter(({ lineId }) => lineId === line.id);
        const typed: Record<string, string> = {};
        for (const { name, choice, typed: text } of own)
          if (choice === null) typed[name] = typed[name] === undefined ? text : `${typed[name]} + ${text}`;
        const isFrozen = batch !== null && (batch.status === 'approved' || batch.status === 'cut');
        return {
          id: line.id,
          kind: line.kind,
          kindVersion: line.kindVersion,
          qty: String(line.qty),
          fit: line.fit,
          measuredAs: line.measuredAs,
          matching: line.matching,
          typed,
          choices: Object.fromEntries(own.flatMap(({ name, choice }) => (choice === null ? [] : [[name, choice]]))),
          outline: line.outline?.typed ?? '',
          directions: Object.fromEntries(
            parts.flatMap(({ lineId, part, direction }) =>
              lineId === line.id && direction ? [[part, direction]] : [],
            ),
          ),
          panels: Object.fromEntries(
            parts.flatMap(({ lineId, part, wide }) => (lineId === line.id && wide ? [[part, wide]] : [])),
          ),
          cloth: Object.fromEntries(
            cloths.filter(({ lineId }) => lineId === line.id).map(({ role, clothId }) => [role, String(clothId)]),
          ),
          ...(isFrozen && { frozenBy: batch.name }),
        };
      }),
    },
  };
}

export async function customerNames(): Promise<string[]> {
  const rows = await database()
    .select({ name: schema.customers.name })
    .from(schema.customers)
    .orderBy(schema.customers.name);
  return rows.map(({ name }) => name);
}

export interface ClothChoice {
  id: string;
  name: string;
  look: ClothLook;
  /** For the core: what is cut from it depends on its width, its pattern and what it is like. */
  cloth: Cloth;
}

export async function clothChoices(): Promise<ClothChoice[]> {
  const rows = await database().select().from(schema.cloths).orderBy(schema.cloths.name);
  return rows.map((row) => ({
    id: String(row.id),
    name: row.name,
    cloth: toCloth(row),
    look: lookOf(row),
  }));
}

import 'server-only';
import { isHandedOver } from '@/core/batch';
import { and, arrayOverlaps, eq, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/pg-core';
import type { Cloth } from '@/core/cloth';
import type { ClothSort, NotionSort } from '@/core/stock';
import { loadKnownSlips } from '@/records/findings';
import { database, schema } from '@/db';
import { pageOf, readCursor, turned, type SortKey } from '@/db/keyset';
import { loadKindBook } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import { lookOf } from '@/features/cloth/look';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';
import { loadOrders, type StoredOrder } from './load-orders';
import { MOST_COUNTED, ORDER_STATUSES, type OrderSort, type OrderStatus } from './status';

export interface OrderListRow {
  id: number;
  no: number;
  mark: number;
  customer: string;
  due: string;
  what: string;
  status: OrderStatus;
}

const { orders, customers } = schema;
/** How far an order is. */
const RANK = sql`array_position(ARRAY[${sql.raw(ORDER_STATUSES.map((one) => `'${one}'`).join(', '))}], ${orders.status})`;
const SORT_KEYS: Record<OrderSort, SortKey[]> = {
  // What the customer has comes last.
  due: [
    { column: sql`(${orders.status} = 'handed over')`, type: 'boolean' },
    { column: sql`${orders.due}`, type: 'date' },
    { column: sql`${orders.no}`, type: 'int' },
  ],
  no: [{ column: sql`${orders.no}`, type: 'int' }],
  customer: [
    { column: sql`lower(${customers.name})`, type: 'text' },
    { column: sql`${orders.no}`, type: 'int' },
  ],
  status: [
    { column: RANK, type: 'int' },
    { column: sql`${orders.due}`, type: 'date' },
    { column: sql`${orders.no}`, type: 'int' },
  ],
};
const keyOf: Record<OrderSort, (row: Omit<OrderListRow, 'what'> & { name: string }) => unknown[]> = {
  due: ({ status, due, no }) => [isHandedOver(status), due, no],
  no: ({ no }) => [no],
  customer: ({ name, no }) => [name, no],
  status: ({ status, due, no }) => [ORDER_STATUSES.indexOf(status) + 1, due, no],
};

const PAGE = 30;
const MOST_WORDS = 8;

export interface OrderQuery {
  search?: string;
  only?: OrderStatus | undefined;
  sort?: OrderSort;
  isDescending?: boolean;
  /** A cursor that an earlier page gave. */
  page?: string;
}

export interface OrderPage {
  orders: OrderListRow[];
  /** How many orders the search finds, by where they are: at least so many where `areAll` is false or `MOST_COUNTED` is reached. */
  counts: Record<OrderStatus, number> & { areAll: boolean };
  previous: string | null;
  next: string | null;
}

/** A page of orders, the soonest due first and what is cut last; `search` looks at the number, the customer, the notes and the kinds. */
export async function listOrders({
  search = '',
  only,
  sort = 'due',
  isDescending = false,
  page = '',
}: OrderQuery): Promise<OrderPage> {
  const db = database();
  const book = await loadKindBook(db);
  const found: (SQL | undefined)[] = [isNull(orders.deletedAt)];
  for (const word of search.trim().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS)) {
    const like = sql`${orders.searchText} LIKE lower(${`%${word.replace(/[\\%_]/g, '\\$&')}%`})`;
    const kinds = book.current
      .filter(({ name }) => name.toLowerCase().includes(word.toLowerCase()))
      .map(({ id }) => id);
    found.push(kinds.length > 0 ? or(like, arrayOverlaps(orders.kinds, kinds)) : like);
  }
  const keys = SORT_KEYS[sort];
  const cursor = readCursor(page, keys);
  const { where, orderBy } = pageOf(keys, isDescending, cursor);
  const [rows, counted] = await Promise.all([
    db
      .select({
        id: orders.id,
        no: orders.no,
        mark: orders.mark,
        customer: customers.name,
        name: sql<string>`lower(${customers.name})`,
        due: orders.due,
        status: orders.status,
      })
      .from(orders)
      .innerJoin(customers, eq(customers.id, orders.customerId))
      .where(and(...found, where, only && eq(orders.status, only)))
      .orderBy(...orderBy)
      .limit(PAGE + 1),
    countByStatus(found, search.trim() !== ''),
  ]);
  const view = turned(rows, PAGE, cursor, keyOf[sort]);
  const lines = await db
    .select({ orderId: schema.orderLines.orderId, kind: schema.orderLines.kind, qty: schema.orderLines.qty })
    .from(schema.orderLines)
    .where(
      inArray(
        schema.orderLines.orderId,
        view.rows.map(({ id }) => id),
      ),
    )
    .orderBy(schema.orderLines.position);
  /** For each order how many it has of each kind, in the order of its lines. */
  const covers = new Map<number, Map<string, number>>(view.rows.map(({ id }) => [id, new Map()]));
  for (const { orderId, kind, qty } of lines) {
    const name = book.find(kind)?.name ?? kind;
    const ofOrder = covers.get(orderId)!;
    ofOrder.set(name, (ofOrder.get(name) ?? 0) + qty);
  }
  return {
    orders: view.rows.map(({ name: _, ...row }) => ({ ...row, what: inShort(covers.get(row.id)!) })),
    counts: counted,
    previous: view.previous,
    next: view.next,
  };
}

const NONE = Object.fromEntries(ORDER_STATUSES.map((status) => [status, 0])) as Record<OrderStatus, number>;

/**
 * Counts by status, at the same cost in a workroom of any size: without a search each by itself and at most `MOST_COUNTED`,
 * with one in a single pass that ends at four times as many.
 */
async function countByStatus(found: readonly (SQL | undefined)[], isSearch: boolean): Promise<OrderPage['counts']> {
  const db = database();
  const some = (limit: number, status?: OrderStatus) =>
    db
      .select({ status: orders.status })
      .from(orders)
      .where(and(...found, status && eq(orders.status, status)))
      .limit(limit);
  const all = isSearch
    ? some(MOST_COUNTED * ORDER_STATUSES.length)
    : unionAll(
        some(MOST_COUNTED, 'waiting'),
        some(MOST_COUNTED, 'batched'),
        ...ORDER_STATUSES.slice(2).map((status) => some(MOST_COUNTED, status)),
      );
  const rows = all.as('found');
  const counted = await db
    .select({ status: rows.status, count: sql<number>`count(*)::int` })
    .from(rows)
    .groupBy(rows.status);
  const counts = { ...NONE, areAll: true };
  for (const { status, count } of counted) counts[status] = count;
  const sum = counted.reduce((total, { count }) => total + count, 0);
  counts.areAll = !isSearch || sum < MOST_COUNTED * ORDER_STATUSES.length;
  return counts;
}

const MOST_NAMED = 4;

/** `4 × Boxed cushion with a zip panel, 2 × Bolster`: how many of each kind, by its name. */
function inShort(covers: ReadonlyMap<string, number>): string {
  const parts = [...covers].map(([name, qty]) => `${qty} × ${name}`);
  return parts.length <= MOST_NAMED
    ? parts.join(', ')
    : `${parts.slice(0, MOST_NAMED - 1).join(', ')} and ${parts.length - MOST_NAMED + 1} kinds more`;
}

/** One order as its form shows it, or null when there is none of that id. */
export const getOrder = async (id: number): Promise<StoredOrder | null> => (await getOrders([id]))[0] ?? null;

/** Orders as their forms show them, by number. */
export const getOrders = (ids: readonly number[]): Promise<StoredOrder[]> => loadOrders(database(), ids);

const MOST_PROPOSED = 12;

/** Names of customers that begin with what was typed, then those that hold it. */
export async function proposeCustomers(typed: string): Promise<string[]> {
  const like = typed.trim().replace(/[\\%_]/g, '\\$&');
  const rows = await database()
    .select({ name: customers.name })
    .from(customers)
    .where(sql`${customers.name} ILIKE ${`%${like}%`}`)
    .orderBy(sql`${customers.name} NOT ILIKE ${`${like}%`}`, customers.name)
    .limit(MOST_PROPOSED);
  return rows.map(({ name }) => name);
}

export interface ClothChoice {
  id: string;
  name: string;
  look: ClothLook;
  /** Cloth that is seen, or one of the materials that nobody sees. */
  sort: ClothSort;
  /** The roles for which it is the workroom's usual material. */
  usualFor: string[];
  /** For the core: what is cut from it depends on its width, its pattern and what it is like. */
  cloth: Cloth;
}

/** A notion of the catalogue that a line may take in place of the usual one. */
export interface NotionChoice {
  id: string;
  name: string;
  sort: NotionSort;
  /** The notions, as cover kinds name them, for which it is the usual one. */
  usualFor: string[];
}

export async function notionChoices(): Promise<NotionChoice[]> {
  const { id, name, sort, usualFor } = schema.materials;
  const rows = await database().select({ id, name, sort, usualFor }).from(schema.materials).orderBy(name);
  return rows.map((row) => ({ ...row, id: String(row.id) }));
}

export async function clothChoices(): Promise<ClothChoice[]> {
  const rows = await database().select().from(schema.cloths).orderBy(schema.cloths.name);
  return rows.map((row) => ({
    id: String(row.id),
    name: row.name,
    sort: row.sort,
    usualFor: row.usualFor,
    cloth: toCloth(row),
    look: lookOf(row),
  }));
}

/** Keeps only the cloths that orders are cut from: a sheet needs no others. */
export function clothsOf(orders: readonly { order: StoredOrder }[], cloths: ClothChoice[]): ClothChoice[] {
  const used = new Set(orders.flatMap(({ order }) => order.form.lines.flatMap(({ cloth }) => Object.values(cloth))));
  return cloths.filter(({ id }) => used.has(id));
}

/** Slips that come again and again, for the form in which the next of a kind is entered. */
export const knownSlips = () => loadKnownSlips(database());

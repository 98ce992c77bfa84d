import 'server-only';
import { and, arrayOverlaps, eq, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/pg-core';
import type { Cloth } from '@/core/cloth';
import type { ClothSort } from '@/core/stock';
import { parseLength, printNumber, STYLES, type Nm, type Units } from '@/core/length';
import { database, schema } from '@/db';
import { pageOf, readCursor, turned, type SortKey } from '@/db/keyset';
import { loadKindBook } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import { lookOf } from '@/features/cloth/look';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';
import type { LineForm, OrderForm } from './form';
import { readOutline } from '../../ui/shape/outline-text';
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
const SORT_KEYS: Record<OrderSort, SortKey[]> = {
  // What is cut comes last.
  due: [
    { column: sql`(${orders.status} = 'cut')`, type: 'boolean' },
    { column: sql`${orders.due}`, type: 'date' },
    { column: sql`${orders.no}`, type: 'int' },
  ],
  no: [{ column: sql`${orders.no}`, type: 'int' }],
  customer: [
    { column: sql`lower(${customers.name})`, type: 'text' },
    { column: sql`${orders.no}`, type: 'int' },
  ],
  status: [
    { column: sql`${orders.status}`, type: 'text' },
    { column: sql`${orders.due}`, type: 'date' },
    { column: sql`${orders.no}`, type: 'int' },
  ],
};
const keyOf: Record<OrderSort, (row: Omit<OrderListRow, 'what'> & { name: string }) => unknown[]> = {
  due: ({ status, due, no }) => [status === 'cut', due, no],
  no: ({ no }) => [no],
  customer: ({ name, no }) => [name, no],
  status: ({ status, due, no }) => [status, due, no],
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
    ) // prettier-ignore
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
        some(MOST_COUNTED, 'approved'),
        some(MOST_COUNTED, 'cut'),
      );
  const rows = all.as('found');
  const counted = await db
    .select({ status: rows.status, count: sql<number>`count(*)::int` })
    .from(rows)
    .groupBy(rows.status);
  const counts = { waiting: 0, batched: 0, approved: 0, cut: 0, areAll: true };
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
  return (await getOrders([id]))[0] ?? null;
}

/** Orders as their forms show them, by number. */
export async function getOrders(ids: readonly number[]): Promise<StoredOrder[]> {
  const db = database();
  if (ids.length === 0) return [];
  const found = await db
    .select({ order: orders, customer: customers.name })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(inArray(orders.id, [...ids]))
    .orderBy(orders.no);
  const lines = await db
    .select({
      line: schema.orderLines,
      batch: { id: schema.batches.id, name: schema.batches.name, status: schema.batches.status },
    })
    .from(schema.orderLines)
    .leftJoin(schema.batches, eq(schema.batches.id, schema.orderLines.batchId))
    .where(inArray(schema.orderLines.orderId, [...ids]))
    .orderBy(schema.orderLines.position);
  const ofOrder = byKey(lines, ({ line }) => line.orderId);
  const lineIds = lines.map(({ line }) => line.id);
  const ofLine = async <T extends { lineId: number }>(rows: Promise<T[]>) => byKey(lineIds.length > 0 ? await rows : [], ({ lineId }) => lineId); // prettier-ignore
  const { lineValues, lineCloths, lineParts, lineMaterials } = schema;
  const [values, cloths, parts, notions] = await Promise.all([
    ofLine(db.select().from(lineValues).where(inArray(lineValues.lineId, lineIds)).orderBy(lineValues.part)),
    ofLine(db.select().from(lineCloths).where(inArray(lineCloths.lineId, lineIds)).execute()),
    ofLine(db.select().from(lineParts).where(inArray(lineParts.lineId, lineIds)).execute()),
    ofLine(db.select().from(lineMaterials).where(inArray(lineMaterials.lineId, lineIds)).execute()),
  ]);
  return found.map(({ order, customer }): StoredOrder => {
    const own = ofOrder.get(order.id) ?? [];
    return {
      id: order.id,
      no: order.no,
      mark: order.mark,
      version: order.version,
      isDeleted: order.deletedAt !== null,
      batches: [...new Map(own.flatMap(({ batch }) => (batch ? [[batch.id, batch]] : []))).values()],
      form: {
        customer,
        due: order.due,
        units: order.units,
        notes: order.notes,
        lines: own.map(({ line, batch }): LineForm => {
          const ofThis = parts.get(line.id) ?? [];
          const isFrozen = batch !== null && (batch.status === 'approved' || batch.status === 'cut');
          const stored = values.get(line.id) ?? [];
          return {
            id: line.id,
            kind: line.kind,
            kindVersion: line.kindVersion,
            qty: String(line.qty),
            fit: line.fit,
            measuredAs: line.measuredAs,
            matching: line.matching,
            typed: typedOf(stored, order.units),
            choices: Object.fromEntries(stored.flatMap(({ name, choice }) => (choice === null ? [] : [[name, choice]]))), // prettier-ignore
            outline: line.outline ? outlineText(line.outline, order.units) : '',
            directions: Object.fromEntries(ofThis.flatMap(({ part, direction }) => (direction ? [[part, direction]] : []))), // prettier-ignore
            panels: Object.fromEntries(ofThis.flatMap(({ part, wide }) => (wide ? [[part, wide]] : []))),
            notions: Object.fromEntries((notions.get(line.id) ?? []).map(({ notion, materialId }) => [notion, String(materialId)])), // prettier-ignore
            cloth: Object.fromEntries((cloths.get(line.id) ?? []).map(({ role, clothId }) => [role, String(clothId)])),
            ...(isFrozen && { frozenBy: batch.name }),
          };
        }),
      },
    };
  });
}

function byKey<T>(rows: readonly T[], keyOfRow: (row: T) => number): Map<number, T[]> {
  const map = new Map<number, T[]>();
  for (const row of rows) {
    const key = keyOfRow(row);
    const list = map.get(key);
    if (list) list.push(row);
    else map.set(key, [row]);
  }
  return map;
}

/** The lengths of a line as they were typed, where that still reads as what is stored: what is stored is the truth. */
function typedOf(values: readonly (typeof schema.lineValues.$inferSelect)[], units: Units): Record<string, string> {
  const typed: Record<string, string> = {};
  for (const { name, choice, typed: text, valueNm } of values) {
    if (choice !== null) continue;
    const told = lengthText(text, valueNm!, units);
    typed[name] = typed[name] === undefined ? told : `${typed[name]} + ${told}`;
  }
  return typed;
}

function lengthText(typed: string, stored: Nm, units: Units): string {
  const read = parseLength(typed, units === 'in' ? 'in' : 'cm');
  if (read.ok && read.value === stored) return typed;
  const own = printNumber(stored, units === 'in' ? { unit: 'in', denominator: 64 } : STYLES.mm);
  return own.exact ? own.text : `${stored / 1_000_000} mm`;
}

/** A traced outline as it was typed, where that still reads as its stored corners. */
function outlineText({ typed, corners }: { typed: string; corners: [Nm, Nm][] }, units: Units): string {
  const read = readOutline(typed, units);
  const isTrue = read.ok && JSON.stringify(read.value) === JSON.stringify(corners);
  return isTrue
    ? typed
    : corners.map((corner) => corner.map((one) => lengthText('', one, units)).join(', ')).join('\n');
}

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
  /** For the core: what is cut from it depends on its width, its pattern and what it is like. */
  cloth: Cloth;
}

/** A notion of the catalogue that a line may take in place of the usual one. */
export interface NotionChoice {
  id: string;
  name: string;
  /** The notions, as cover kinds name them, for which it is the usual one. */
  usualFor: string[];
}

export async function notionChoices(): Promise<NotionChoice[]> {
  const { id, name, usualFor } = schema.materials;
  const rows = await database().select({ id, name, usualFor }).from(schema.materials).orderBy(name);
  return rows.map((row) => ({ ...row, id: String(row.id) }));
}

export async function clothChoices(): Promise<ClothChoice[]> {
  const rows = await database().select().from(schema.cloths).orderBy(schema.cloths.name);
  return rows.map((row) => ({
    id: String(row.id),
    name: row.name,
    sort: row.sort,
    cloth: toCloth(row),
    look: lookOf(row),
  }));
}

/** Of these cloths only those that orders are cut from: a sheet needs no others. */
export function clothsOf(orders: readonly { order: StoredOrder }[], cloths: ClothChoice[]): ClothChoice[] {
  const used = new Set(orders.flatMap(({ order }) => order.form.lines.flatMap(({ cloth }) => Object.values(cloth))));
  return cloths.filter(({ id }) => used.has(id));
}

import 'server-only';
import { aliasedTable, and, asc, desc, eq, gt, inArray, isNotNull, or, sql, type SQL } from 'drizzle-orm';
import {
  availableOf,
  flowOf,
  stateOf,
  type Flow,
  type ItemSort,
  type ItemState,
  type MovementSort,
} from '@/core/stock';
import type { Units } from '@/core/length';
import { database, schema } from '@/db';
import { pageOf, readCursor, turned, type SortKey } from '@/db/keyset';
import { lookOf } from '@/features/cloth/look';
import { workroomRules } from '@/features/workroom/queries';
import type { ClothLook } from '@/ui/cloth/cloth-pattern';
import { worthOf } from '@/core/stock';
import type { Counted } from './amount';
import { loadCatalogue } from './catalogue';

const { stockItems, cloths, materials, movements } = schema;

/** An item as lists show it. */
export interface ShelfRow extends Counted {
  id: number;
  code: string;
  sort: ItemSort;
  name: string;
  look: ClothLook | null;
  lot: string;
  widthNm: number | null;
  lengthNm: number | null;
  hasShape: boolean;
  onHand: number;
  reserved: number;
  place: string;
  supplier: string;
  state: ItemState;
  /** An ISO time. */
  receivedAt: string;
  worthMinor: number;
  currency: string;
}

export interface ShelfPage {
  rows: ShelfRow[];
  previous: string | null;
  next: string | null;
}

export const SHELF_SORTS = ['bolt', 'remnant', 'sheets', 'notion'] as const satisfies readonly ItemSort[];

const NEWEST_FIRST: readonly SortKey[] = [{ column: sql`${stockItems.id}`, type: 'int' }];
const PAGE = 30;
const MOST_WORDS = 6;

export interface ShelfQuery {
  search?: string;
  only?: ItemSort | undefined;
  clothId?: number | undefined;
  /** Those that have ended too. */
  isAll?: boolean;
  page?: string;
}

const like = (word: string) => `%${word.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`;

/** The text by which an item itself is found; its index is `stock_items_search`. */
const ownText = sql`lower(${stockItems.code} || ' ' || ${stockItems.lot} || ' ' || ${stockItems.place} || ' ' || ${stockItems.supplier})`;

/** The condition and the order of a page of the shelf. */
export function shelfPage({ search = '', only, clothId, isAll = false, page = '' }: ShelfQuery) {
  const db = database();
  const found: (SQL | undefined)[] = [
    isAll ? undefined : gt(stockItems.onHand, 0),
    only && eq(stockItems.sort, only),
    clothId === undefined ? undefined : eq(stockItems.clothId, clothId),
  ];
  for (const word of search.trim().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS))
    found.push(
      or(
        sql`${ownText} LIKE ${like(word)}`,
        inArray(
          stockItems.clothId,
          db
            .select({ id: cloths.id })
            .from(cloths)
            .where(sql`lower(${cloths.name}) LIKE ${like(word)}`),
        ),
        inArray(
          stockItems.materialId,
          db
            .select({ id: materials.id })
            .from(materials)
            .where(sql`lower(${materials.name}) LIKE ${like(word)}`),
        ),
      ),
    );
  const cursor = readCursor(page, NEWEST_FIRST);
  const { where, orderBy } = pageOf(NEWEST_FIRST, true, cursor);
  return { where: and(...found, where), orderBy, cursor };
}

/** A page of what is on the shelf, the newest first; a search looks at code, lot, place, supplier and name. */
export async function listShelf(query: ShelfQuery): Promise<ShelfPage> {
  const { where, orderBy, cursor } = shelfPage(query);
  return turned(await itemsWhere(where, orderBy, PAGE + 1), PAGE, cursor, ({ id }) => [id]);
}

/** Items with the names of what they are. */
export const itemsQuery = (where: SQL | undefined, orderBy: SQL[] = [asc(stockItems.id)], limit = 2000) =>
  database()
    .select({ item: stockItems, cloth: cloths, material: { name: materials.name, packSize: materials.packSize } })
    .from(stockItems)
    .leftJoin(cloths, eq(cloths.id, stockItems.clothId))
    .leftJoin(materials, eq(materials.id, stockItems.materialId))
    .where(where)
    .orderBy(...orderBy)
    .limit(limit);

/** Items as lists show them. */
async function itemsWhere(where: SQL | undefined, orderBy?: SQL[], limit?: number): Promise<ShelfRow[]> {
  const [rows, { units }] = await Promise.all([itemsQuery(where, orderBy, limit), workroomRules()]);
  return rows.map(({ item, cloth, material }) => rowOf(item, cloth, material, units));
}

function rowOf(
  item: typeof stockItems.$inferSelect,
  cloth: typeof cloths.$inferSelect | null,
  material: { name: string; packSize: number } | null,
  ofWorkroom: Units,
): ShelfRow {
  const isLength =
    item.sort === 'bolt' || item.sort === 'remnant' || (item.sort === 'notion' && item.lengthNm !== null);
  return {
    id: item.id,
    code: item.code,
    sort: item.sort,
    name: cloth?.name ?? material?.name ?? '',
    look: cloth && lookOf(cloth),
    units: cloth?.units ?? ofWorkroom,
    isLength,
    lot: item.lot,
    widthNm: item.widthNm,
    lengthNm: item.lengthNm,
    hasShape: item.outline !== null,
    onHand: item.onHand,
    reserved: item.reserved,
    place: item.place,
    supplier: item.supplier,
    state: stateOf(item.onHand, item.isOpened),
    receivedAt: item.receivedAt.toISOString(),
    worthMinor: worthOf(item.onHand, { ...item, packSize: material?.packSize ?? 1 }),
    currency: item.currency,
  };
}

/** Totals of the shelf, by currency: how many items, and their worth at what was paid for them. */
export async function shelfWorth(): Promise<{ currency: string; items: number; worthMinor: number }[]> {
  const unit = sql`CASE ${stockItems.pricePer} WHEN 'yd' THEN 914400000 WHEN 'm' THEN 1000000000 WHEN 'pack' THEN coalesce(${materials.packSize}, 1) WHEN 'whole' THEN ${stockItems.lengthNm} ELSE 1 END`;
  return database()
    .select({
      currency: stockItems.currency,
      items: sql<number>`count(*)::int`,
      worthMinor:
        sql<number>`sum(floor(${stockItems.onHand}::numeric * ${stockItems.priceMinor} / ${unit} + 0.5))`.mapWith(
          Number,
        ),
    })
    .from(stockItems)
    .leftJoin(materials, eq(materials.id, stockItems.materialId))
    .where(gt(stockItems.onHand, 0))
    .groupBy(stockItems.currency)
    .orderBy(stockItems.currency);
}

/** One movement of an item, with the balance after it. */
export interface MovementRow {
  id: number;
  at: string;
  sort: MovementSort;
  quantity: number;
  after: number;
  cause: string | null;
  reason: string;
  person: string | null;
  order: { id: number; no: number; mark: number } | null;
  batch: { id: number; name: string } | null;
  /** The remnant that was kept of it. */
  to: { id: number; code: string } | null;
  reversesId: number | null;
  /** Tells whether it has been taken back. */
  isReversed: boolean;
}

export interface ItemView extends ShelfRow {
  selvageLeftNm: number;
  selvageRightNm: number;
  motifNm: [number, number];
  flaws: [number, number, number, number][];
  outline: [number, number][] | null;
  notes: string;
  clothId: number | null;
  materialId: number | null;
  priceMinor: number;
  pricePer: string;
  from: { id: number; code: string } | null;
  remnants: { id: number; code: string; onHand: number; widthNm: number }[];
  flow: Flow;
  available: number;
  movements: MovementRow[];
  /** Tells whether older movements are not shown. */
  hasMore: boolean;
}

const SHOWN_MOVEMENTS = 200;

const kept = aliasedTable(stockItems, 'kept');

/** Movements of an item, the newest first. */
export const movementsQuery = (itemId: number) =>
  database()
    .select({
      movement: movements,
      person: schema.people.name,
      order: { id: schema.orders.id, no: schema.orders.no, mark: schema.orders.mark },
      batch: { id: schema.batches.id, name: schema.batches.name },
      to: { id: kept.id, code: kept.code },
      isReversed: sql<boolean>`EXISTS (SELECT FROM movements c WHERE c.counters_id = ${movements.id})`,
    })
    .from(movements)
    .leftJoin(schema.people, eq(schema.people.id, movements.personId))
    .leftJoin(schema.orders, eq(schema.orders.id, movements.orderId))
    .leftJoin(schema.batches, eq(schema.batches.id, movements.batchId))
    .leftJoin(kept, eq(kept.id, movements.toItemId))
    .where(eq(movements.itemId, itemId))
    .orderBy(desc(movements.id))
    .limit(SHOWN_MOVEMENTS + 1);

/** An item with all that happened to it, the newest first; null where there is none. */
export async function getItem(id: number): Promise<ItemView | null> {
  const db = database();
  const [row] = await itemsWhere(eq(stockItems.id, id));
  if (!row) return null;
  const [item] = await db.select().from(stockItems).where(eq(stockItems.id, id));
  const [parents, remnants, found, sums] = await Promise.all([
    item!.fromItemId === null
      ? []
      : db
          .select({ id: stockItems.id, code: stockItems.code })
          .from(stockItems)
          .where(eq(stockItems.id, item!.fromItemId)),
    db
      .select({
        id: stockItems.id,
        code: stockItems.code,
        onHand: stockItems.onHand,
        widthNm: sql<number>`${stockItems.widthNm}`.mapWith(Number),
      })
      .from(stockItems)
      .where(eq(stockItems.fromItemId, id))
      .orderBy(stockItems.id),
    movementsQuery(id),
    db
      .select({ sort: movements.sort, quantity: sql<number>`sum(${movements.quantity})`.mapWith(Number) })
      .from(movements)
      .where(eq(movements.itemId, id))
      .groupBy(movements.sort),
  ]);
  let balance = item!.onHand;
  const shown = found
    .slice(0, SHOWN_MOVEMENTS)
    .map(({ movement, person, order, batch, to, isReversed }): MovementRow => {
      const after = balance;
      balance -= onHandBy(movement.sort, movement.quantity);
      return {
        id: movement.id,
        at: movement.at.toISOString(),
        sort: movement.sort,
        quantity: movement.quantity,
        after,
        cause: movement.cause,
        reason: movement.reason,
        person,
        order,
        batch,
        to,
        reversesId: movement.reversesId,
        isReversed,
      };
    });
  return {
    ...row,
    selvageLeftNm: item!.selvageLeftNm,
    selvageRightNm: item!.selvageRightNm,
    motifNm: [item!.motifAcrossNm, item!.motifAlongNm],
    flaws: item!.flaws.map(([x0, y0, x1, y1]) => [x0, y0, x1, y1]),
    outline: item!.outline,
    notes: item!.notes,
    clothId: item!.clothId,
    materialId: item!.materialId,
    priceMinor: item!.priceMinor,
    pricePer: item!.pricePer,
    from: parents[0] ?? null,
    remnants,
    flow: flowOf(sums),
    available: availableOf(item!),
    movements: shown,
    hasMore: found.length > SHOWN_MOVEMENTS,
  };
}

const onHandBy = (sort: MovementSort, quantity: number): number =>
  sort === 'received' || sort === 'counted'
    ? quantity
    : ['cut', 'wasted', 'kept', 'used'].includes(sort)
      ? -quantity
      : 0;

/** The items of a cloth that a lay may take, and what a person decided about them for a batch. */
export async function stockForLay(batchId: number, clothId: number) {
  const db = database();
  const [items, [choice]] = await Promise.all([
    itemsWhere(
      and(eq(stockItems.clothId, clothId), gt(stockItems.onHand, 0), inArray(stockItems.sort, ['bolt', 'remnant'])),
    ),
    db
      .select()
      .from(schema.stockChoices)
      .where(and(eq(schema.stockChoices.batchId, batchId), eq(schema.stockChoices.clothId, clothId))),
  ]);
  return {
    items,
    choice: { pinned: choice?.pinned ?? [], leftOut: choice?.leftOut ?? [], isLotMixed: choice?.isLotMixed ?? false },
  };
}

/** Most items on one count list. */
const MOST_COUNTED = 500;

/** Items to count: everything at a place, or of a type, in the order in which it is found on the shelf. */
export async function countList(place: string): Promise<{ rows: ShelfRow[]; places: string[]; hasMore: boolean }> {
  const db = database();
  const [rows, places] = await Promise.all([
    itemsWhere(
      and(gt(stockItems.onHand, 0), place === '' ? undefined : eq(stockItems.place, place)),
      [asc(stockItems.place), asc(stockItems.id)],
      MOST_COUNTED + 1,
    ),
    db
      .selectDistinct({ place: stockItems.place })
      .from(stockItems)
      .where(and(gt(stockItems.onHand, 0), isNotNull(stockItems.place)))
      .orderBy(stockItems.place)
      .limit(500),
  ]);
  return {
    rows: rows.slice(0, MOST_COUNTED),
    places: places.map((one) => one.place).filter(Boolean),
    hasMore: rows.length > MOST_COUNTED,
  };
}

/** All that can be received, for a page. */
export const catalogue = () => loadCatalogue(database());

import { sql, type SQL } from 'drizzle-orm';
import {
  type AnyPgColumn,
  bigint,
  boolean,
  check,
  date,
  index,
  integer,
  jsonb,
  numeric,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { Box, Point } from '../../core/lay';
import { COUNTED_BY, ITEM_SORTS, NOTION_SORTS, ZIP_TEETH } from '../../core/stock/material';
import { MOVEMENT_SORTS, WASTE_CAUSES } from '../../core/stock/movement';
import { batches } from './batches';
import { cloths } from './cloths';
import { createdAt, id, minor, nm, updatedAt, version, words } from './columns';
import { orderLines, orders } from './orders';
import { people } from './workroom';

export const PRICED_BY = ['yd', 'm', 'piece', 'pack', 'sheet'] as const;
/** The unit that the price of an item is for; `whole`: for all of a remnant as it was kept. */
const ITEM_PRICED_BY = [...PRICED_BY, 'whole'] as const;

/** Notions of the catalogue: cord, zips, hook-and-loop, snaps, buttons, thread, tape, staples, adhesive. */
export const materials = pgTable(
  'materials',
  {
    id: id(),
    name: text('name').notNull(),
    sort: text('sort', { enum: NOTION_SORTS }).notNull(),
    countedBy: text('counted_by', { enum: COUNTED_BY }).notNull(),
    /** How many pieces are in a pack; 1 where it is sold by the piece. */
    packSize: integer('pack_size').notNull().default(1),
    /** The step in which a length is sold. */
    sellingStepNm: nm('selling_step_nm').notNull().default(0),
    /** How long a zip is, how high a pad; null for everything else. */
    lengthNm: nm('length_nm'),
    /** How wide a pad is. */
    widthNm: nm('width_nm'),
    teeth: text('teeth', { enum: ZIP_TEETH }),
    supplier: text('supplier').notNull().default(''),
    priceMinor: minor('price_minor').notNull(),
    currency: text('currency').notNull(),
    pricePer: text('price_per', { enum: PRICED_BY }).notNull(),
    /** The notions, as cover kinds name them, for which it is the workroom's usual one. */
    usualFor: text('usual_for')
      .array()
      .notNull()
      .default(sql`'{}'`),
    notes: text('notes').notNull().default(''),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
  },
  (t) => [
    uniqueIndex('materials_name').on(sql`lower(${t.name})`),
    check('materials_named', sql`length(trim(${t.name})) > 0`),
    check(
      'materials_words',
      sql`${t.sort} IN (${words(NOTION_SORTS)}) AND ${t.countedBy} IN (${words(COUNTED_BY)}) AND (${t.teeth} IS NULL OR ${t.teeth} IN (${words(ZIP_TEETH)})) AND ${t.pricePer} IN (${words(PRICED_BY)})`,
    ),
    check(
      'materials_amounts',
      sql`${t.packSize} > 0 AND ${t.sellingStepNm} >= 0 AND ${t.priceMinor} >= 0 AND ${t.currency} ~ '^[A-Z]{3}$'`,
    ),
    check(
      'materials_sizes',
      sql`(${t.sort} IN ('zip', 'pad')) = (${t.lengthNm} IS NOT NULL) AND (${t.sort} = 'pad') = (${t.widthNm} IS NOT NULL)`,
    ),
  ],
);

/** A price with the day from which it held: a price is a fact and stays. */
export const prices = pgTable(
  'prices',
  {
    id: id(),
    clothId: integer('cloth_id').references(() => cloths.id, { onDelete: 'cascade' }),
    materialId: integer('material_id').references(() => materials.id, { onDelete: 'cascade' }),
    since: date('since', { mode: 'string' }).notNull(),
    priceMinor: minor('price_minor').notNull(),
    currency: text('currency').notNull(),
    pricePer: text('price_per', { enum: PRICED_BY }).notNull(),
    createdAt: createdAt(),
  },
  (t) => [
    unique('prices_cloth').on(t.clothId, t.since),
    unique('prices_material').on(t.materialId, t.since),
    check('prices_one', sql`(${t.clothId} IS NULL) <> (${t.materialId} IS NULL) AND ${t.priceMinor} >= 0`),
  ],
);

/**
 * An item on the shelf. Quantities are nanometres of what is counted by its length, else pieces. The balance is kept by a trigger on
 * `movements` (migration 0011) and is refused where it would be negative.
 */
export const stockItems = pgTable(
  'stock_items',
  {
    id: id(),
    sort: text('sort', { enum: ITEM_SORTS }).notNull(),
    /** The code on its label: B12, R7, S3, N4. */
    code: text('code')
      .notNull()
      .generatedAlwaysAs((): SQL => sql`upper(left(${stockItems.sort}, 1)) || ${stockItems.id}`),
    clothId: integer('cloth_id').references(() => cloths.id),
    materialId: integer('material_id').references(() => materials.id),
    lot: text('lot').notNull().default(''),
    widthNm: nm('width_nm'),
    selvageLeftNm: nm('selvage_left_nm').notNull().default(0),
    selvageRightNm: nm('selvage_right_nm').notNull().default(0),
    /** How long it was when it came; of sheets the length of one. */
    lengthNm: nm('length_nm'),
    motifAcrossNm: nm('motif_across_nm').notNull().default(0),
    motifAlongNm: nm('motif_along_nm').notNull().default(0),
    /** Boxes x0, y0, x1, y1 in nm, as they were measured when it came. */
    flaws: jsonb('flaws').$type<Box[]>().notNull().default([]),
    outline: jsonb('outline').$type<Point[]>(),
    place: text('place').notNull().default(''),
    supplier: text('supplier').notNull().default(''),
    /** The price that was paid for one yard, metre, piece, pack or sheet of it. */
    priceMinor: minor('price_minor').notNull().default(0),
    currency: text('currency').notNull(),
    pricePer: text('price_per', { enum: ITEM_PRICED_BY }).notNull(),
    /** The item that a remnant was cut from. */
    fromItemId: integer('from_item_id').references((): AnyPgColumn => stockItems.id),
    onHand: bigint('on_hand', { mode: 'number' }).notNull().default(0),
    reserved: bigint('reserved', { mode: 'number' }).notNull().default(0),
    isOpened: boolean('is_opened').notNull().default(false),
    /** A remnant of a washed cloth does not shrink again. */
    isWashed: boolean('is_washed').notNull().default(false),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
    notes: text('notes').notNull().default(''),
    version: version(),
    updatedAt: updatedAt(),
  },
  (t) => [
    uniqueIndex('stock_items_code').on(t.code),
    index('stock_items_cloth')
      .on(t.clothId, t.lot)
      .where(sql`${t.onHand} > 0`),
    index('stock_items_material')
      .on(t.materialId)
      .where(sql`${t.onHand} > 0`),
    index('stock_items_place')
      .on(t.place, t.id)
      .where(sql`${t.onHand} > 0`),
    index('stock_items_there')
      .on(t.id)
      .where(sql`${t.onHand} > 0`),
    check('stock_items_one', sql`(${t.clothId} IS NULL) <> (${t.materialId} IS NULL)`),
    check(
      'stock_items_sort',
      sql`${t.sort} IN (${words(ITEM_SORTS)}) AND (${t.sort} = 'notion') = (${t.materialId} IS NOT NULL)`,
    ),
    check('stock_items_balance', sql`${t.onHand} >= 0 AND ${t.reserved} >= 0 AND ${t.reserved} <= ${t.onHand}`),
    check(
      'stock_items_size',
      sql`${t.clothId} IS NULL OR (${t.widthNm} > 0 AND ${t.lengthNm} > 0 AND ${t.selvageLeftNm} >= 0 AND ${t.selvageRightNm} >= 0 AND ${t.selvageLeftNm} + ${t.selvageRightNm} < ${t.widthNm})`,
    ),
  ],
);

/** The ledger: what came to an item and where it went. A movement is never changed, only reversed (a trigger refuses the rest). */
export const movements = pgTable(
  'movements',
  {
    id: bigint('id', { mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
    itemId: integer('item_id')
      .notNull()
      .references(() => stockItems.id),
    sort: text('sort', { enum: MOVEMENT_SORTS }).notNull(),
    quantity: bigint('quantity', { mode: 'number' }).notNull(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
    /** Null where nobody has said who is at the device. */
    personId: integer('person_id').references(() => people.id),
    /** Cause of waste. */
    cause: text('cause', { enum: WASTE_CAUSES }),
    reason: text('reason').notNull().default(''),
    orderId: integer('order_id').references(() => orders.id, { onDelete: 'set null' }),
    batchId: integer('batch_id').references(() => batches.id, { onDelete: 'set null' }),
    /** The remnant that was kept of it. */
    toItemId: integer('to_item_id').references(() => stockItems.id),
    /** The movement that this one takes back. */
    reversesId: bigint('counters_id', { mode: 'number' }).references((): AnyPgColumn => movements.id),
  },
  (t) => [
    index('movements_item').on(t.itemId, t.id),
    index('movements_batch')
      .on(t.batchId)
      .where(sql`${t.batchId} IS NOT NULL`),
    index('movements_order')
      .on(t.orderId)
      .where(sql`${t.orderId} IS NOT NULL`),
    index('movements_at').on(t.at),
    unique('movements_counters').on(t.reversesId),
    check('movements_sort', sql`${t.sort} IN (${words(MOVEMENT_SORTS)})`),
    check(
      'movements_cause',
      sql`(${t.sort} = 'wasted') = (${t.cause} IS NOT NULL) AND (${t.cause} IS NULL OR ${t.cause} IN (${words(WASTE_CAUSES)}))`,
    ),
    check(
      'movements_quantity',
      sql`${t.reversesId} IS NOT NULL OR ${t.sort} IN ('counted', 'moved') OR ${t.quantity} > 0`,
    ),
  ],
);

/**
 * The ledger's sums for figures, so that these do not read every movement ever made. A trigger on `movements` keeps them, and
 * `sum_movements()` makes them anew (migration 0015). A week is parted where a month ends in it.
 */
export const movementSums = pgTable(
  'movement_sums',
  {
    week: date('week', { mode: 'string' }).notNull(),
    month: date('month', { mode: 'string' }).notNull(),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
    itemSort: text('item_sort', { enum: ITEM_SORTS }).notNull(),
    /** Only what was taken off the shelf is summed: cut, wasted and kept. */
    sort: text('sort', { enum: MOVEMENT_SORTS }).notNull(),
    /** Empty where nothing was wasted. */
    cause: text('cause').notNull(),
    currency: text('currency').notNull(),
    quantity: bigint('quantity', { mode: 'number' }).notNull(),
    /** In minor units, at what was paid for the items. */
    worth: numeric('worth').notNull(),
  },
  (t) => [
    primaryKey({
      name: 'movement_sums_pk',
      columns: [t.week, t.month, t.clothId, t.itemSort, t.sort, t.cause, t.currency],
    }),
  ],
);

/** A person's decision about the shelf for the lay of a cloth of a batch. */
export const stockChoices = pgTable(
  'stock_choices',
  {
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id, { onDelete: 'cascade' }),
    pinned: integer('pinned')
      .array()
      .notNull()
      .default(sql`'{}'`),
    leftOut: integer('left_out')
      .array()
      .notNull()
      .default(sql`'{}'`),
    isLotMixed: boolean('is_lot_mixed').notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.batchId, t.clothId] })],
);

const LAY_EVENT_SORTS = ['end crooked', 'flaw found', 'miscut', 'recut'] as const;

/** Problems than planned while a lay was cut. */
export const layEvents = pgTable(
  'lay_events',
  {
    id: id(),
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
    sort: text('sort', { enum: LAY_EVENT_SORTS }).notNull(),
    /** The item that it took more of; null where the cloth is not kept on the shelf. */
    itemId: integer('item_id').references(() => stockItems.id),
    lengthNm: nm('length_nm').notNull(),
    orderId: integer('order_id').references(() => orders.id, { onDelete: 'set null' }),
    /** The piece that was cut again. */
    part: text('part').notNull().default(''),
    why: text('why').notNull().default(''),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    index('lay_events_batch').on(t.batchId, t.clothId),
    index('lay_events_order').on(t.orderId),
    check('lay_events_sort', sql`${t.sort} IN (${words(LAY_EVENT_SORTS)}) AND ${t.lengthNm} >= 0`),
  ],
);

/** The notion that a line takes where it is another than the workroom's usual one. */
export const lineMaterials = pgTable(
  'line_materials',
  {
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id, { onDelete: 'cascade' }),
    /** Its name in the cover kind. */
    notion: text('notion').notNull(),
    materialId: integer('material_id')
      .notNull()
      .references(() => materials.id),
  },
  (t) => [primaryKey({ columns: [t.lineId, t.notion] }), index('line_materials_material').on(t.materialId)],
);

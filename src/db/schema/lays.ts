import { sql } from 'drizzle-orm';
import {
  bigint,
  check,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { LayOutcome, LayStock } from '../../core/stock/lay-outcome';
import { createdAt, id, nm, version } from './columns';
import { cloths } from './cloths';
import { orders } from './orders';
import { batches } from './batches';
import { people } from './workroom';

/** A lay document (src/core/marker) with its cloth as it was then, and the length that it uses. */
const layDocument = () => ({
  units: text('units', { enum: ['in', 'mm'] }).notNull(),
  cloth: jsonb('cloth').notNull(),
  job: jsonb('job').notNull(),
  parts: jsonb('parts').notNull(),
  plan: jsonb('plan').notNull(),
  usedNm: nm('used_nm').notNull(),
});

/** The lay of one cloth of a batch, with the job, the cloth and the figures that it was made from. */
export const lays = pgTable(
  'lays',
  {
    id: id(),
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
    /** Counts the lays of this cloth of the batch; older ones are in `lay_versions`. */
    version: version(),
    ...layDocument(),
    boundNm: nm('bound_nm').notNull(),
    boughtNm: nm('bought_nm').notNull(),
    handNm: nm('hand_nm').notNull(),
    handCostMinor: bigint('hand_cost_minor', { mode: 'number' }).notNull(),
    costMinor: bigint('cost_minor', { mode: 'number' }).notNull(),
    currency: text('currency').notNull(),
    wastePart: doublePrecision('waste_part').notNull(),
    /** Use of each item on the shelf, and why these. */
    stock: jsonb('stock').$type<LayStock>().notNull().default({ uses: [], why: '' }),
    /** The shelf's shortage for it (nm, before any wash). */
    shortNm: nm('short_nm').notNull().default(0),
    /** How long the same pieces lie where nothing has to match; null where the cloth has no pattern. */
    plainNm: nm('plain_nm'),
    /** How it came to lie so, where that is not the batch's own search: `by hand`, or the name of the way that was taken. */
    how: text('how').notNull().default(''),
    /** When it was cut, and what happened. */
    cutAt: timestamp('cut_at', { withTimezone: true }),
    outcome: jsonb('outcome').$type<LayOutcome>(),
    createdAt: createdAt(),
  },
  (t) => [
    unique('lays_batch_cloth').on(t.batchId, t.clothId),
    check(
      'lays_lengths',
      sql`${t.usedNm} >= 0 AND ${t.boundNm} >= 0 AND ${t.boundNm} <= ${t.usedNm} AND ${t.boughtNm} >= ${t.usedNm}`,
    ),
    check('lays_cost', sql`${t.costMinor} >= 0 AND ${t.handCostMinor} >= 0`),
  ],
);

/** Lays that were made anew or whose batch has changed since, as they were. */
export const layVersions = pgTable(
  'lay_versions',
  {
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
    version: integer('version').notNull(),
    ...layDocument(),
    costMinor: bigint('cost_minor', { mode: 'number' }).notNull(),
    currency: text('currency').notNull(),
    /** When it was made. */
    createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.batchId, t.clothId, t.version] })],
);

/** Ways of laying one cloth of a batch that were compared, and which of them was taken: so that the choice can be explained later. */
export const layWays = pgTable(
  'lay_ways',
  {
    id: id(),
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
    /** The version of the lay that they were compared with. */
    layVersion: integer('lay_version').notNull(),
    name: text('name').notNull(),
    /** Other ways that are taken (src/core/batch/ways.ts). */
    change: jsonb('change').notNull(),
    ...layDocument(),
    boundNm: nm('bound_nm').notNull(),
    costMinor: bigint('cost_minor', { mode: 'number' }).notNull(),
    currency: text('currency').notNull(),
    wastePart: doublePrecision('waste_part').notNull(),
    cuts: integer('cuts').notNull(),
    seams: integer('seams').notNull(),
    personId: integer('person_id').references(() => people.id),
    takenAt: timestamp('taken_at', { withTimezone: true }),
    createdAt: createdAt(),
  },
  (t) => [
    index('lay_ways_batch').on(t.batchId, t.clothId, t.id),
    check('lay_ways_numbers', sql`${t.usedNm} >= 0 AND ${t.costMinor} >= 0 AND ${t.cuts} >= 0 AND ${t.seams} >= 0`),
  ],
);

/** Who has the table of a lay open, by the page that says so every few seconds; of no use a minute later. */
export const tableVisits = pgTable(
  'table_visits',
  {
    page: uuid('page').primaryKey(),
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    clothId: integer('cloth_id').notNull(),
    personId: integer('person_id').references(() => people.id),
    seenAt: timestamp('seen_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index('table_visits_lay').on(t.batchId, t.clothId)],
);

/** The length that an order takes laid by itself, by the content of its lay job: computed once. */
export const aloneLays = pgTable('alone_lays', {
  /** SHA-256 of the job without its order's number. */
  key: text('key').primaryKey(),
  usedNm: nm('used_nm').notNull(),
  createdAt: createdAt(),
});

/** An order's part of a lay: what it would have taken alone, by hand, and its share of the cost two ways. */
export const layShares = pgTable(
  'lay_shares',
  {
    layId: integer('lay_id')
      .notNull()
      .references(() => lays.id, { onDelete: 'cascade' }),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    aloneNm: nm('alone_nm').notNull(),
    aloneCostMinor: bigint('alone_cost_minor', { mode: 'number' }).notNull(),
    handNm: nm('hand_nm').notNull(),
    handCostMinor: bigint('hand_cost_minor', { mode: 'number' }).notNull(),
    areaMm2: doublePrecision('area_mm2').notNull(),
    usedNm: nm('used_nm').notNull(),
    shareByLengthMinor: bigint('share_by_length_minor', { mode: 'number' }).notNull(),
    shareByAreaMinor: bigint('share_by_area_minor', { mode: 'number' }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.layId, t.orderId] }),
    index('lay_shares_order').on(t.orderId),
    check('lay_shares_amounts', sql`${t.shareByLengthMinor} >= 0 AND ${t.shareByAreaMinor} >= 0 AND ${t.aloneNm} >= 0`),
  ],
);

import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, index, integer, jsonb, pgTable, text, timestamp } from 'drizzle-orm/pg-core';
import { batches } from './batches';
import { cloths } from './cloths';
import { createdAt, id, minor, updatedAt, words } from './columns';
import { materials, PRICED_BY } from './stock';
import { people } from './workroom';

/** How a lay stands at the cutter; `lost` where the cutter no longer knows it. */
export const CUTTER_STATES = ['waiting', 'cutting', 'done', 'stopped', 'failed', 'lost'] as const;

/** Lays that were sent to the workroom's cutter, and what it last said of them. */
export const cutterJobs = pgTable(
  'cutter_jobs',
  {
    id: id(),
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
    layVersion: integer('lay_version').notNull(),
    /** Where it was sent, and its id there. */
    address: text('address').notNull(),
    remoteId: text('remote_id').notNull(),
    state: text('state', { enum: CUTTER_STATES }).notNull(),
    /** 0 to 1. */
    progress: doublePrecision('progress').notNull().default(0),
    /** How long (s) the cutter expects to take; null where it does not say. */
    seconds: doublePrecision('seconds'),
    faults: jsonb('faults').$type<string[]>().notNull().default([]),
    personId: integer('person_id').references(() => people.id),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
  },
  (t) => [
    index('cutter_jobs_lay').on(t.batchId, t.clothId, t.id),
    check('cutter_jobs_known', sql`${t.state} IN (${words(CUTTER_STATES)}) AND ${t.progress} BETWEEN 0 AND 1`),
  ],
);

const PROPOSAL_STATES = ['open', 'taken', 'left'] as const;

/** Prices that a supplier's list names for what the workroom buys. None holds before somebody takes it. */
export const priceProposals = pgTable(
  'price_proposals',
  {
    id: id(),
    supplier: text('supplier').notNull(),
    clothId: integer('cloth_id').references(() => cloths.id, { onDelete: 'cascade' }),
    materialId: integer('material_id').references(() => materials.id, { onDelete: 'cascade' }),
    /** Its name in the supplier's list. */
    article: text('article').notNull(),
    priceMinor: minor('price_minor').notNull(),
    currency: text('currency').notNull(),
    pricePer: text('price_per', { enum: PRICED_BY }).notNull(),
    /** The day from which the list says that it holds. */
    asOf: date('as_of', { mode: 'string' }).notNull(),
    /** How much the supplier has of it, in words; empty where the list does not say. */
    inStock: text('in_stock').notNull().default(''),
    state: text('state', { enum: PROPOSAL_STATES }).notNull().default('open'),
    personId: integer('person_id').references(() => people.id),
    decidedAt: timestamp('decided_at', { withTimezone: true }),
    createdAt: createdAt(),
  },
  (t) => [
    index('price_proposals_open').on(t.state, t.id),
    check(
      'price_proposals_known',
      sql`${t.state} IN (${words(PROPOSAL_STATES)}) AND ${t.priceMinor} >= 0 AND (${t.clothId} IS NULL) <> (${t.materialId} IS NULL)`,
    ),
  ],
);

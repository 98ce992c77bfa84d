import { sql } from 'drizzle-orm';
import { check, date, index, integer, jsonb, pgTable, text, timestamp, unique, uniqueIndex } from 'drizzle-orm/pg-core';
import type { CostSheet } from '../../core/cost/order-cost';
import { QUOTE_STATES } from '../../core/cost/quote-states';
import { batches } from './batches';
import { createdAt, id, minor, updatedAt, version, words } from './columns';
import { orders } from './orders';
import { people } from './workroom';

/** Each approval of a batch with all that it froze: lays, stock, prices, kind versions and the workroom's rules. */
export const approvals = pgTable(
  'approvals',
  {
    id: id(),
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    /** Counts the approvals of the batch, from 1. */
    no: integer('no').notNull(),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
    frozen: jsonb('frozen').notNull(),
    /** When it was taken back to plan again; null while it holds. */
    withdrawnAt: timestamp('withdrawn_at', { withTimezone: true }),
  },
  (t) => [
    unique('approvals_no').on(t.batchId, t.no),
    uniqueIndex('approvals_one')
      .on(t.batchId)
      .where(sql`${t.withdrawnAt} IS NULL`),
  ],
);

/** An offer to a customer for an order. What was sent never changes by itself. */
export const quotes = pgTable(
  'quotes',
  {
    id: id(),
    no: integer('no').notNull().unique(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    state: text('state', { enum: QUOTE_STATES }).notNull().default('draft'),
    validUntil: date('valid_until', { mode: 'string' }).notNull(),
    sheet: jsonb('sheet').$type<CostSheet>().notNull(),
    totalMinor: minor('total_minor').notNull(),
    currency: text('currency').notNull(),
    words: text('words').notNull().default(''),
    /** Paid with the order; null: no deposit. */
    depositMinor: minor('deposit_minor'),
    personId: integer('person_id').references(() => people.id),
    sentAt: timestamp('sent_at', { withTimezone: true }),
    answeredAt: timestamp('answered_at', { withTimezone: true }),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
  },
  (t) => [
    index('quotes_order').on(t.orderId, t.id),
    index('quotes_state').on(t.state, t.validUntil),
    // The accepted one is the order's price.
    uniqueIndex('quotes_accepted')
      .on(t.orderId)
      .where(sql`${t.state} = 'accepted'`),
    check('quotes_deposit', sql`${t.depositMinor} IS NULL OR ${t.depositMinor} BETWEEN 0 AND ${t.totalMinor}`),
    check('quotes_state_known', sql`${t.state} IN (${words(QUOTE_STATES)}) AND ${t.totalMinor} >= 0`),
  ],
);

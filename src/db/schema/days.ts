import { sql } from 'drizzle-orm';
import { check, date, index, integer, pgTable, text, timestamp } from 'drizzle-orm/pg-core';
import { cloths } from './cloths';
import { id, nm } from './columns';
import { quotes } from './money';
import { orders } from './orders';
import { materials } from './stock';
import { people } from './workroom';

/** A day that was promised for an order, with what the plan said then. A promise is a fact and stays: another day is another row. */
export const promises = pgTable(
  'promises',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    /** The promised day, the day on which it was ready by the plan, and the day by which it was so four times of five; null: not planned. */
    day: date('day', { mode: 'string' }).notNull(),
    readyDay: date('ready_day', { mode: 'string' }),
    safeDay: date('safe_day', { mode: 'string' }),
    /** The reason for a day that is sooner than the plan's. */
    why: text('why').notNull().default(''),
    /** The quote with which it went out; null: said with the order. */
    quoteId: integer('quote_id').references(() => quotes.id, { onDelete: 'set null' }),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull(),
  },
  (t) => [index('promises_order').on(t.orderId, t.id)],
);

/** A cloth or notion that was ordered from its supplier, with the day that they named. */
export const awaited = pgTable(
  'awaited',
  {
    id: id(),
    clothId: integer('cloth_id').references(() => cloths.id, { onDelete: 'cascade' }),
    materialId: integer('material_id').references(() => materials.id, { onDelete: 'cascade' }),
    /** Nanometres of what is counted by its length, else pieces. */
    quantity: nm('quantity').notNull(),
    day: date('day', { mode: 'string' }).notNull(),
    note: text('note').notNull().default(''),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull(),
    /** When it came, or was given up; null: on its way. */
    closedAt: timestamp('closed_at', { withTimezone: true }),
  },
  (t) => [
    index('awaited_open')
      .on(t.day)
      .where(sql`${t.closedAt} IS NULL`),
    check('awaited_one', sql`(${t.clothId} IS NULL) <> (${t.materialId} IS NULL) AND ${t.quantity} > 0`),
  ],
);

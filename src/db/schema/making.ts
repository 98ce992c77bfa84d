import { sql } from 'drizzle-orm';
import {
  bigint,
  check,
  date,
  index,
  integer,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  unique,
} from 'drizzle-orm/pg-core';
import { COVER_EVENTS, COVER_STATES, HOLDS } from '../../core/making/cover-states';
import { id, version, words } from './columns';
import { orderLines, orders } from './orders';
import { people } from './workroom';

/** One row for each cover from the approval of its batch on: number 2 of a line of five. */
export const covers = pgTable(
  'covers',
  {
    id: id(),
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id, { onDelete: 'cascade' }),
    number: smallint('number').notNull(),
    state: text('state', { enum: COVER_STATES }).notNull(),
    /** The place where it stands, by its key in the workroom's places; null, or a place that is gone: the first for its state. */
    place: text('place'),
    hold: text('hold', { enum: HOLDS }),
    holdWhy: text('hold_why').notNull().default(''),
    /** Who has it in hand. */
    personId: integer('person_id').references(() => people.id),
    version: version(),
  },
  (t) => [
    unique('covers_number').on(t.lineId, t.number),
    index('covers_state').on(t.state, t.lineId),
    check(
      'covers_words',
      sql`${t.state} IN (${words(COVER_STATES)}) AND (${t.hold} IS NULL OR ${t.hold} IN (${words(HOLDS)}))`,
    ),
  ],
);

/** Everything that happened to a cover, in the order in which it did; what is taken back stays. */
export const coverEvents = pgTable(
  'cover_events',
  {
    id: bigint('id', { mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
    coverId: integer('cover_id')
      .notNull()
      .references(() => covers.id, { onDelete: 'cascade' }),
    at: timestamp('at', { withTimezone: true }).notNull(),
    personId: integer('person_id').references(() => people.id),
    event: text('event').notNull(),
    fromState: text('from_state', { enum: COVER_STATES }).notNull(),
    toState: text('to_state', { enum: COVER_STATES }).notNull(),
    fromPlace: text('from_place'),
    place: text('place'),
    /** Who had it in hand before. */
    fromPersonId: integer('from_person_id').references(() => people.id),
    note: text('note').notNull().default(''),
  },
  (t) => [
    index('cover_events_cover').on(t.coverId, t.id),
    check('cover_events_event', sql`${t.event} IN (${words([...COVER_EVENTS, 'stand', 'hold', 'release', 'undo'])})`),
  ],
);

/** Covers that left together for a customer, with the note that went along. */
export const deliveries = pgTable(
  'deliveries',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    /** Its number among the order's, from 1. */
    no: smallint('no').notNull(),
    day: date('day', { mode: 'string' }).notNull(),
    toWhom: text('to_whom').notNull(),
    note: text('note').notNull().default(''),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull(),
    takenBackAt: timestamp('taken_back_at', { withTimezone: true }),
    takenBackWhy: text('taken_back_why').notNull().default(''),
  },
  (t) => [unique('deliveries_no').on(t.orderId, t.no)],
);

export const deliveryCovers = pgTable(
  'delivery_covers',
  {
    deliveryId: integer('delivery_id')
      .notNull()
      .references(() => deliveries.id, { onDelete: 'cascade' }),
    coverId: integer('cover_id')
      .notNull()
      .references(() => covers.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.deliveryId, t.coverId] }), index('delivery_covers_cover').on(t.coverId)],
);

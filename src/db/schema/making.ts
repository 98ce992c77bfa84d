import { sql } from 'drizzle-orm';
import {
  bigint,
  check,
  date,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { COVER_EVENTS, COVER_STATES, HOLDS } from '../../core/making/cover-states';
import { cloths } from './cloths';
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

/** A run: covers that are sewn side by side, each step for all of them before the next. */
export const runs = pgTable('runs', {
  id: id(),
  startedAt: timestamp('started_at', { withTimezone: true }).notNull(),
  personId: integer('person_id').references(() => people.id),
  /** When its last cover was through, or it was given up. */
  endedAt: timestamp('ended_at', { withTimezone: true }),
  /** The reason for which its minutes are not learned from; empty where they are. */
  setAside: text('set_aside').notNull().default(''),
});

export const runCovers = pgTable(
  'run_covers',
  {
    runId: integer('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    coverId: integer('cover_id')
      .notNull()
      .references(() => covers.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.runId, t.coverId] }), index('run_covers_cover').on(t.coverId)],
);

/** Steps that are done, cover by cover. Each is ticked once, by the entry that a device made; sent again it is still that one. */
export const runTicks = pgTable(
  'run_ticks',
  {
    runId: integer('run_id').notNull(),
    coverId: integer('cover_id').notNull(),
    step: smallint('step').notNull(),
    entry: uuid('entry').notNull(),
    personId: integer('person_id').references(() => people.id),
    /** By the device's own clock, and when it arrived here. */
    at: timestamp('at', { withTimezone: true }).notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.runId, t.step, t.coverId] }),
    index('run_ticks_entry').on(t.entry),
    check('run_ticks_step', sql`${t.step} > 0`),
    foreignKey({ columns: [t.runId, t.coverId], foreignColumns: [runCovers.runId, runCovers.coverId] }).onDelete(
      'cascade',
    ),
  ],
);

/** A stretch of work of one person on a run: by the clock of a device, or noted by hand afterwards. */
export const runClocks = pgTable(
  'run_clocks',
  {
    entry: uuid('entry').primaryKey(),
    runId: integer('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    personId: integer('person_id').references(() => people.id),
    beganAt: timestamp('began_at', { withTimezone: true }).notNull(),
    endedAt: timestamp('ended_at', { withTimezone: true }),
    /** Minutes as a person noted them by hand; null: the clock's. */
    byHandMinutes: integer('by_hand_minutes'),
  },
  (t) => [
    index('run_clocks_run').on(t.runId),
    check('run_clocks_order', sql`${t.endedAt} IS NULL OR ${t.endedAt} >= ${t.beganAt}`),
    check('run_clocks_minutes', sql`${t.byHandMinutes} IS NULL OR ${t.byHandMinutes} BETWEEN 1 AND 1440`),
  ],
);

/** A setting of the machine that was found good on a scrap of a cloth; the newest is shown at its next run. */
export const clothSettings = pgTable(
  'cloth_settings',
  {
    entry: uuid('entry').primaryKey(),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id, { onDelete: 'cascade' }),
    tension: text('tension').notNull(),
    stitch: text('stitch').notNull(),
    note: text('note').notNull().default(''),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull(),
  },
  (t) => [index('cloth_settings_cloth').on(t.clothId, t.at)],
);

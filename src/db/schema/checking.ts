import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  doublePrecision,
  index,
  integer,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { CAUSES, DECISIONS } from '../../core/making/check';
import { batches } from './batches';
import { cloths } from './cloths';
import { id, minor, nm, words } from './columns';
import { covers } from './making';
import { stockItems } from './stock';
import { people } from './workroom';

/** Answers of the looks at a cover: one for each look and each time that it came to be checked; a later answer takes the place of the earlier. */
export const coverLooks = pgTable(
  'cover_looks',
  {
    coverId: integer('cover_id')
      .notNull()
      .references(() => covers.id, { onDelete: 'cascade' }),
    /** Which time it came to be checked, from 1. */
    round: smallint('round').notNull(),
    /** Number on the checklist of its line. */
    look: smallint('look').notNull(),
    /** The tape's answer; null where it is only seen. */
    measuredNm: nm('measured_nm'),
    isRight: boolean('is_right').notNull(),
    personId: integer('person_id').references(() => people.id),
    /** By the device's own clock. */
    at: timestamp('at', { withTimezone: true }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.coverId, t.round, t.look] }),
    check('cover_looks_words', sql`${t.look} > 0 AND ${t.round} > 0`),
  ],
);

/** A fault that was found on a cover, and the decision on it. Its id is the entry of the device that noted it. */
export const findings = pgTable(
  'findings',
  {
    id: uuid('id').primaryKey(),
    coverId: integer('cover_id')
      .notNull()
      .references(() => covers.id, { onDelete: 'cascade' }),
    look: smallint('look'),
    what: text('what').notNull(),
    /** Where on the drawing of the cover, as parts of its width and height. */
    spotX: doublePrecision('spot_x'),
    spotY: doublePrecision('spot_y'),
    cause: text('cause', { enum: CAUSES }).notNull(),
    decision: text('decision', { enum: DECISIONS }).notNull(),
    minutesLost: integer('minutes_lost').notNull().default(0),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull(),
    /** When somebody saw that it is right, or accepted it; null while it is open. */
    closedAt: timestamp('closed_at', { withTimezone: true }),
    closedBy: integer('closed_by').references(() => people.id),
    closedWhy: text('closed_why').notNull().default(''),
  },
  (t) => [
    index('findings_cover').on(t.coverId),
    index('findings_open')
      .on(t.coverId)
      .where(sql`${t.closedAt} IS NULL`),
    check(
      'findings_words',
      sql`${t.cause} IN (${words(CAUSES)}) AND ${t.decision} IN (${words(DECISIONS)}) AND ${t.minutesLost} BETWEEN 0 AND 1440`,
    ),
    check(
      'findings_spot',
      sql`(${t.spotX} IS NULL) = (${t.spotY} IS NULL) AND (${t.spotX} IS NULL OR (${t.spotX} BETWEEN 0 AND 1 AND ${t.spotY} BETWEEN 0 AND 1))`,
    ),
  ],
);

/** Photographs of a finding as they are kept, re-encoded: JPEG in base64. */
export const findingPhotos = pgTable(
  'finding_photos',
  {
    id: id(),
    findingId: uuid('finding_id')
      .notNull()
      .references(() => findings.id, { onDelete: 'cascade' }),
    photo: text('photo').notNull(),
    at: timestamp('at', { withTimezone: true }).notNull(),
  },
  (t) => [index('finding_photos_finding').on(t.findingId)],
);

/** A piece that is cut again for a finding: its place on the shelf or the batch that it waits for, until it is cut. */
export const recuts = pgTable(
  'recuts',
  {
    id: id(),
    findingId: uuid('finding_id')
      .notNull()
      .references(() => findings.id, { onDelete: 'cascade' }),
    /** The lay that it was cut in first, and its part there. */
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
    part: text('part').notNull(),
    name: text('name').notNull(),
    /** The item that it is cut from; null: with another batch, or cloth that is not on the shelf. */
    itemId: integer('item_id').references(() => stockItems.id),
    /** The open batch with which it is cut. */
    withBatchId: integer('with_batch_id').references(() => batches.id, { onDelete: 'set null' }),
    /** Where it lies, from the left edge and from the end, and the length that it takes. */
    xNm: nm('x_nm').notNull(),
    yNm: nm('y_nm').notNull(),
    lengthNm: bigint('length_nm', { mode: 'number' }).notNull(),
    costMinor: minor('cost_minor').notNull(),
    currency: text('currency').notNull(),
    personId: integer('person_id').references(() => people.id),
    at: timestamp('at', { withTimezone: true }).notNull(),
    cutAt: timestamp('cut_at', { withTimezone: true }),
  },
  (t) => [index('recuts_finding').on(t.findingId), index('recuts_with_batch').on(t.withBatchId)],
);

import { sql } from 'drizzle-orm';
import {
  bigint,
  check,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { createdAt, id, updatedAt, version } from './columns';

export const settings = pgTable('settings', { key: text('key').primaryKey(), value: jsonb('value').notNull() });

/** Who works here: a light list, until accounts take its place. */
export const people = pgTable(
  'people',
  {
    id: id(),
    name: text('name').notNull(),
    /** One to three letters, with which the person's entries are marked. */
    initials: text('initials').notNull(),
    /** One of the colours of `PERSON_COLOURS`, by its place. */
    colour: smallint('colour').notNull(),
    leftAt: timestamp('left_at', { withTimezone: true }),
    createdAt: createdAt(),
  },
  (t) => [
    uniqueIndex('people_name').on(sql`lower(${t.name})`),
    check('people_named', sql`length(trim(${t.name})) > 0 AND length(${t.initials}) BETWEEN 1 AND 3`),
  ],
);

/** An audit entry: one row for each command that was kept, written in its transaction. */
export const auditEntries = pgTable(
  'audit_entries',
  {
    id: bigint('id', { mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
    /** Null where nobody has said who is at the device. */
    personId: integer('person_id').references(() => people.id),
    command: text('command').notNull(),
    /** The record that it changed: its kind, like `order`, and its id. */
    subject: text('subject'),
    subjectId: integer('subject_id'),
    before: jsonb('before'),
    after: jsonb('after'),
    /** The id that the request carried: the same one twice does nothing twice. */
    requestId: uuid('request_id').unique(),
    /** The content of the request, as a hash, and its answer. */
    inputHash: text('input_hash').notNull().default(''),
    answer: jsonb('answer'),
  },
  (t) => [index('audit_subject').on(t.subject, t.subjectId, t.id), index('audit_at').on(t.at)],
);

/** The workroom's own cover kinds. Every save adds a version; orders keep the version that they were made with. */
export const kinds = pgTable('kinds', {
  id: id(),
  /** The newest version. */
  version: version(),
  /** Withdrawn kinds are no longer offered; orders made with them go on. */
  withdrawnAt: timestamp('withdrawn_at', { withTimezone: true }),
  createdAt: createdAt(),
  updatedAt: updatedAt(),
});

export const kindVersions = pgTable(
  'kind_versions',
  {
    kindId: integer('kind_id')
      .notNull()
      .references(() => kinds.id),
    version: integer('version').notNull(),
    data: jsonb('data').notNull(),
    createdAt: createdAt(),
  },
  (t) => [primaryKey({ columns: [t.kindId, t.version] })],
);

import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  unique,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import { LINE_STATES } from '../../core/batch/line-states';
import { ROLES, TAKEN, type Provided, type Taken } from '../../core/covers/kind';
import { DIRECTIONS, WIDE_WAYS } from '../../core/cutlist/panels';
import { createdAt, id, nm, updatedAt, version, words } from './columns';
import { cloths } from './cloths';
import { batches } from './batches';

export const customers = pgTable(
  'customers',
  { id: id(), name: text('name').notNull(), contact: text('contact').notNull().default(''), createdAt: createdAt() },
  (t) => [
    uniqueIndex('customers_name').on(sql`lower(${t.name})`),
    check('customers_named', sql`length(trim(${t.name})) > 0`),
  ],
);

export const orders = pgTable(
  'orders',
  {
    id: id(),
    no: integer('no').notNull().unique(),
    /** One of the marks that an order keeps everywhere: a colour and a sign. */
    mark: smallint('mark').notNull(),
    customerId: integer('customer_id')
      .notNull()
      .references(() => customers.id),
    due: date('due', { mode: 'string' }).notNull(),
    units: text('units', { enum: ['in', 'mm', 'millimetres'] }).notNull(),
    notes: text('notes').notNull().default(''),
    /** Where it is, by the batches of its lines and then by its covers; triggers keep it (migration 0021), so that lists need not look at every line. */
    status: text('status', { enum: LINE_STATES }).notNull().default('waiting'),
    /** Text that a search looks at, in lower case: number, customer and notes; kept by a trigger. */
    searchText: text('search_text').notNull().default(''),
    /** The kinds of its lines, for the search; kept by a trigger. */
    kinds: text('kinds')
      .array()
      .notNull()
      .default(sql`'{}'`),
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
  },
  (t) => [
    index('orders_customer').on(t.customerId),
    index('orders_by_due')
      .on(sql`(${t.status} = 'handed over')`, t.due, t.no)
      .where(sql`${t.deletedAt} IS NULL`),
    index('orders_by_status')
      .on(t.status, t.due, t.no)
      .where(sql`${t.deletedAt} IS NULL`),
    index('orders_deleted')
      .on(t.id)
      .where(sql`${t.deletedAt} IS NOT NULL`),
    index('orders_kinds').using('gin', t.kinds),
    check('orders_units', sql`${t.units} IN ('in', 'mm', 'millimetres')`),
    check('orders_no', sql`${t.no} > 0 AND ${t.mark} >= 0`),
  ],
);

export const orderLines = pgTable(
  'order_lines',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    position: smallint('position').notNull(),
    kind: text('kind').notNull(),
    kindVersion: integer('kind_version').notNull(),
    qty: integer('qty').notNull(),
    fit: text('fit', { enum: ['true', 'snug', 'overfull'] }).notNull(),
    /** How the sizes were taken, and single measures otherwise, by their names. */
    measuredAs: text('measured_as', { enum: TAKEN }).notNull().default('finished'),
    taken: jsonb('taken').$type<Record<string, Taken>>().notNull().default({}),
    /** Materials and notions that the customer brings or that are reused, by role or name. */
    provided: jsonb('provided').$type<Record<string, Provided>>().notNull().default({}),
    matching: text('matching', { enum: ['none', 'alike', 'centred'] })
      .notNull()
      .default('none'),
    /** The traced outline of the form, as it was typed and corner by corner in nanometres. */
    outline: jsonb('outline').$type<{ typed: string; corners: [number, number][] }>(),
    batchId: integer('batch_id').references(() => batches.id, { onDelete: 'set null' }),
  },
  (t) => [
    unique('order_lines_position').on(t.orderId, t.position),
    index('order_lines_batch').on(t.batchId),
    index('order_lines_waiting')
      .on(t.orderId)
      .where(sql`${t.batchId} IS NULL`),
    index('order_lines_kind').on(t.kind),
    check('order_lines_qty', sql`${t.qty} BETWEEN 1 AND 10000`),
    check(
      'order_lines_words',
      sql`${t.fit} IN ('true', 'snug', 'overfull') AND ${t.measuredAs} IN (${words(TAKEN)}) AND ${t.matching} IN ('none', 'alike', 'centred')`,
    ),
  ],
);

/** The measures and options of a line: a length as a number and as it was typed, or a choice. A hem has one or two parts. */
export const lineValues = pgTable(
  'line_values',
  {
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    part: smallint('part').notNull().default(0),
    isMeasure: boolean('is_measure').notNull(),
    valueNm: nm('value_nm'),
    typed: text('typed').notNull().default(''),
    choice: text('choice'),
  },
  (t) => [
    primaryKey({ columns: [t.lineId, t.name, t.part] }),
    check('line_values_one', sql`(${t.valueNm} IS NULL) <> (${t.choice} IS NULL)`),
    check(
      'line_values_length',
      sql`${t.valueNm} IS NULL OR ${t.valueNm} > 0 OR (NOT ${t.isMeasure} AND ${t.valueNm} >= 0)`,
    ),
  ],
);

export const lineCloths = pgTable(
  'line_cloths',
  {
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id, { onDelete: 'cascade' }),
    role: text('role', { enum: ROLES }).notNull(),
    clothId: integer('cloth_id')
      .notNull()
      .references(() => cloths.id),
  },
  (t) => [
    primaryKey({ columns: [t.lineId, t.role] }),
    index('line_cloths_cloth').on(t.clothId),
    check('line_cloths_role', sql`${t.role} IN (${words(ROLES)})`),
  ],
);

/** A decision for one part of a line: which of its sides lies along the bolt, and how it is cut when it is wider than the cloth. */
export const lineParts = pgTable(
  'line_parts',
  {
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id, { onDelete: 'cascade' }),
    part: text('part').notNull(),
    direction: text('direction', { enum: DIRECTIONS }),
    wide: text('wide', { enum: WIDE_WAYS }),
  },
  (t) => [
    primaryKey({ columns: [t.lineId, t.part] }),
    check(
      'line_parts_words',
      sql`(${t.direction} IS NULL OR ${t.direction} IN (${words(DIRECTIONS)})) AND (${t.wide} IS NULL OR ${t.wide} IN (${words(WIDE_WAYS)}))`,
    ),
  ],
);

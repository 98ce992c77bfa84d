import type { BestSoFar } from '@/core/batch';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  smallint,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { BATCH_STATES } from '../core/batch/batch-states';
import { LAY_RUN_STATES } from '../core/batch/lay-run-states';
import { FIBRES, GIVES, WEIGHTS } from '../core/cloth/cloth';
import { ROLES } from '../core/covers/kind';
import { DIRECTIONS, WIDE_WAYS } from '../core/cutlist/panels';

// Lengths are bigint nanometres (column names end in _nm), money is whole minor units (…_minor) with its currency.
// `version` counts the saves of a record: an edit that was made on an older one is refused.

const nm = (name: string) => bigint(name, { mode: 'number' });
const id = () => integer('id').primaryKey().generatedAlwaysAsIdentity();
const version = () => integer('version').notNull().default(1);
const words = (list: readonly string[]) => sql.raw(list.map((word) => `'${word}'`).join(', '));
const createdAt = () => timestamp('created_at', { withTimezone: true }).notNull().defaultNow();
const updatedAt = () => timestamp('updated_at', { withTimezone: true }).notNull().defaultNow();

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

/** What was changed: one row a command that was kept, written in its transaction. */
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
    /** What the request asked for, as a hash, and what it was answered. */
    inputHash: text('input_hash').notNull().default(''),
    answer: jsonb('answer'),
  },
  (t) => [index('audit_subject').on(t.subject, t.subjectId, t.id), index('audit_at').on(t.at)],
);

export const customers = pgTable(
  'customers',
  { id: id(), name: text('name').notNull(), contact: text('contact').notNull().default(''), createdAt: createdAt() },
  (t) => [
    uniqueIndex('customers_name').on(sql`lower(${t.name})`),
    check('customers_named', sql`length(trim(${t.name})) > 0`),
  ],
);

export const cloths = pgTable(
  'cloths',
  {
    id: id(),
    name: text('name').notNull(),
    units: text('units', { enum: ['in', 'mm'] }).notNull(),
    widthNm: nm('width_nm').notNull(),
    selvageLeftNm: nm('selvage_left_nm').notNull().default(0),
    selvageRightNm: nm('selvage_right_nm').notNull().default(0),
    repeatAcrossNm: nm('repeat_across_nm').notNull().default(0),
    repeatAlongNm: nm('repeat_along_nm').notNull().default(0),
    dropPart: doublePrecision('drop_part').notNull().default(0),
    /** Where a point of the pattern lies, from the left edge and from the squared end. */
    motifAcrossNm: nm('motif_across_nm').notNull().default(0),
    motifAlongNm: nm('motif_along_nm').notNull().default(0),
    turns: text('turns', { enum: ['any', 'half', 'none'] }).notNull(),
    pattern: text('pattern', { enum: ['plain', 'stripe', 'band', 'leaf', 'diamond', 'wheel', 'check'] })
      .notNull()
      .default('plain'),
    fibre: text('fibre', { enum: FIBRES }).notNull().default('mixed'),
    weight: text('weight', { enum: WEIGHTS }).notNull().default('medium'),
    give: text('give', { enum: GIVES }).notNull().default('little'),
    groundColour: text('ground_colour').notNull(),
    figureColour: text('figure_colour').notNull(),
    priceMinor: bigint('price_minor', { mode: 'number' }).notNull(),
    currency: text('currency').notNull(),
    pricePer: text('price_per', { enum: ['yd', 'm'] }).notNull(),
    sellingStepNm: nm('selling_step_nm').notNull(),
    notes: text('notes').notNull().default(''),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
  },
  (t) => [
    uniqueIndex('cloths_name').on(sql`lower(${t.name})`),
    check('cloths_named', sql`length(trim(${t.name})) > 0`),
    check(
      'cloths_width',
      sql`${t.widthNm} > 0 AND ${t.selvageLeftNm} >= 0 AND ${t.selvageRightNm} >= 0 AND ${t.selvageLeftNm} + ${t.selvageRightNm} < ${t.widthNm}`,
    ),
    check(
      'cloths_repeat',
      sql`${t.repeatAcrossNm} >= 0 AND ${t.repeatAlongNm} >= 0 AND ${t.dropPart} >= 0 AND ${t.dropPart} < 1 AND ${t.motifAcrossNm} >= 0 AND ${t.motifAlongNm} >= 0`,
    ),
    check('cloths_price', sql`${t.priceMinor} >= 0 AND ${t.currency} ~ '^[A-Z]{3}$' AND ${t.sellingStepNm} > 0`),
    check('cloths_colours', sql`${t.groundColour} ~ '^#[0-9a-f]{6}$' AND ${t.figureColour} ~ '^#[0-9a-f]{6}$'`),
    check(
      'cloths_nature',
      sql`${t.fibre} IN (${words(FIBRES)}) AND ${t.weight} IN (${words(WEIGHTS)}) AND ${t.give} IN (${words(GIVES)})`,
    ),
    check(
      'cloths_words',
      sql`${t.units} IN ('in', 'mm') AND ${t.turns} IN ('any', 'half', 'none') AND ${t.pricePer} IN ('yd', 'm')`,
    ),
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
    units: text('units', { enum: ['in', 'mm'] }).notNull(),
    notes: text('notes').notNull().default(''),
    /** Where it is, told from the batches of its lines; a trigger keeps it (migration 0006), so that lists need not look at every line. */
    status: text('status', { enum: ['waiting', 'batched', 'approved', 'cut'] })
      .notNull()
      .default('waiting'),
    /** What a search looks at, in lower case: number, customer and notes; kept by a trigger. */
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
      .on(sql`(${t.status} = 'cut')`, t.due, t.no)
      .where(sql`${t.deletedAt} IS NULL`),
    index('orders_by_status')
      .on(t.status, t.due, t.no)
      .where(sql`${t.deletedAt} IS NULL`),
    index('orders_kinds').using('gin', t.kinds),
    check('orders_units', sql`${t.units} IN ('in', 'mm')`),
    check('orders_no', sql`${t.no} > 0 AND ${t.mark} >= 0`),
  ],
);

export const batches = pgTable(
  'batches',
  {
    id: id(),
    name: text('name').notNull(),
    status: text('status', { enum: BATCH_STATES }).notNull().default('draft'),
    seconds: integer('seconds').notNull().default(15),
    seed: integer('seed').notNull().default(1),
    /** Why its lays have to be made again: what has changed since. */
    note: text('note').notNull().default(''),
    /** The lay run that it waits for, or whose result it has; null when what it cuts has changed since. */
    runId: integer('run_id'),
    version: version(),
    createdAt: createdAt(),
    updatedAt: updatedAt(),
    approvedAt: timestamp('approved_at', { withTimezone: true }),
  },
  (t) => [
    check('batches_named', sql`length(trim(${t.name})) > 0`),
    check('batches_status', sql`${t.status} IN (${words(BATCH_STATES)})`),
    check('batches_seconds', sql`${t.seconds} BETWEEN 1 AND 600`),
  ],
);

/** One making of a batch's lays: who asked for it, its lease, how far it has come, and what came of it. */
export const layRuns = pgTable(
  'lay_runs',
  {
    id: id(),
    batchId: integer('batch_id')
      .notNull()
      .references(() => batches.id, { onDelete: 'cascade' }),
    /** Null where nobody has said who is at the device. */
    askedBy: integer('asked_by').references(() => people.id),
    askedAt: timestamp('asked_at', { withTimezone: true }).notNull().defaultNow(),
    /** Seconds of search for all cloths of the batch together. */
    seconds: integer('seconds').notNull(),
    state: text('state', { enum: LAY_RUN_STATES }).notNull().default('waiting'),
    /** How often it has been taken: a worker that dies gives it back. Also which lease is the valid one. */
    attempts: integer('attempts').notNull().default(0),
    /** The worker that has it: machine and process. */
    worker: text('worker'),
    /** When that worker was last heard of, by the database's clock. */
    heartbeatAt: timestamp('heartbeat_at', { withTimezone: true }),
    /** 0 to 1, with what is being done, and about how many seconds it still takes. */
    progress: real('progress').notNull().default(0),
    note: text('note').notNull().default(''),
    secondsLeft: integer('seconds_left'),
    /** The best lay so far, for the screen. */
    bestSoFar: jsonb('best_so_far').$type<BestSoFar>(),
    cancelRequested: boolean('cancel_requested').notNull().default(false),
    /** Why it failed, in a sentence. */
    error: text('error').notNull().default(''),
    endedAt: timestamp('ended_at', { withTimezone: true }),
    /** What came of it, by cloth. */
    result: jsonb('result').$type<{ cloth: string; usedNm: number; boundNm: number; unplaced: number }[]>(),
  },
  (t) => [
    index('lay_runs_batch').on(t.batchId, t.id),
    index('lay_runs_open')
      .on(t.state, t.heartbeatAt)
      .where(sql`${t.state} IN ('waiting', 'running')`),
    check('lay_runs_state', sql`${t.state} IN (${words(LAY_RUN_STATES)})`),
    check('lay_runs_progress', sql`${t.progress} BETWEEN 0 AND 1 AND ${t.seconds} BETWEEN 1 AND 600`),
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
    measuredAs: text('measured_as', { enum: ['finished', 'cut'] })
      .notNull()
      .default('finished'),
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
      sql`${t.fit} IN ('true', 'snug', 'overfull') AND ${t.measuredAs} IN ('finished', 'cut') AND ${t.matching} IN ('none', 'alike', 'centred')`,
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

/** What is decided for one part of a line: which of its sides lies along the bolt, and how it is cut when it is wider than the cloth. */
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

/** The length that an order takes laid by itself, by the content of its lay job: computed once. */
export const aloneLays = pgTable('alone_lays', {
  /** SHA-256 of the job without its order's number. */
  key: text('key').primaryKey(),
  usedNm: nm('used_nm').notNull(),
  createdAt: createdAt(),
});

/** What one order has of a lay: what it would have taken alone, by hand, and its share of the cost two ways. */
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

import { sql } from 'drizzle-orm';
import { boolean, check, index, integer, jsonb, pgTable, real, text, timestamp } from 'drizzle-orm/pg-core';
import type { BestSoFar } from '../../core/batch/best-so-far';
import { BATCH_STATES } from '../../core/batch/batch-states';
import { LAY_RUN_STATES } from '../../core/batch/lay-run-states';
import type { NotionNeed } from '../../core/stock/notion-needs';
import { createdAt, id, updatedAt, version, words } from './columns';
import { people } from './workroom';

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
    /** The notions that its covers take, gathered when its lays are made. */
    notions: jsonb('notions').$type<NotionNeed[]>().notNull().default([]),
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
    /** The result, by cloth. */
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

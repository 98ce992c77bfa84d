'use server';

import { and, eq, inArray, isNull, notInArray, sql } from 'drizzle-orm';
import Joi from 'joi';
import { revalidatePath } from 'next/cache';
import { database, schema, type Transaction } from '@/db';
import { answering, done, failed, staleAnswer, type Answer } from '@/rooms/answer';
import { requestLay } from '@/work/queue';
import { reopenBatches } from './reopen';

const batchRules = Joi.object<{ name: string; lineIds: number[] }>({
  name: Joi.string()
    .trim()
    .min(1)
    .max(120)
    .required()
    .messages({ '*': 'Give the batch a name of at most 120 letters.' }),
  lineIds: Joi.array()
    .items(Joi.number().integer().positive())
    .min(1)
    .max(2000)
    .unique()
    .required()
    .messages({ '*': 'Choose at least one order line.' }),
});

const OPEN = ['draft', 'laid', 'failed'] as const;

/** Runs a change of batches in one transaction and shows it everywhere. */
async function changing<T>(body: (tx: Transaction) => Promise<Answer<T>>): Promise<Answer<T>> {
  return answering(async () => {
    const answer = await database()
      .transaction(async (tx) => {
        const inner = await body(tx);
        if (!inner.ok) throw new Undo(inner);
        return inner;
      })
      .catch((error: unknown) => {
        if (error instanceof Undo) return error.answer as Answer<T>;
        throw error;
      });
    if (answer.ok) revalidatePath('/', 'layout');
    return answer;
  });
}

/** Rolls a transaction back and carries the answer out. */
class Undo extends Error {
  constructor(readonly answer: Answer<never> | Answer<unknown>) {
    super('undone');
  }
}

/** Makes a batch of waiting lines. Lines that somebody else batched meanwhile refuse it whole. */
export async function createBatch(input: { name: string; lineIds: number[] }): Promise<Answer<{ id: number }>> {
  const { value, error } = batchRules.validate(input);
  if (error) return failed(String(error.details[0]!.path[0]), error.details[0]!.message);
  return changing(async (tx) => {
    const [batch] = await tx.insert(schema.batches).values({ name: value.name }).returning({ id: schema.batches.id });
    return (await takeLines(tx, batch!.id, value.lineIds)) ?? done(batch!);
  });
}

async function takeLines(tx: Transaction, batchId: number, lineIds: number[]): Promise<Answer<never> | null> {
  const waiting = tx.select({ id: schema.orders.id }).from(schema.orders).where(isNull(schema.orders.deletedAt));
  const taken = await tx
    .update(schema.orderLines)
    .set({ batchId })
    .where(
      and(
        inArray(schema.orderLines.id, lineIds),
        isNull(schema.orderLines.batchId),
        inArray(schema.orderLines.orderId, waiting),
      ),
    )
    .returning({ id: schema.orderLines.id });
  return taken.length === lineIds.length
    ? null
    : failed(
        'lineIds',
        'Some of these lines are in another batch by now. The list is fresh again; choose once more.',
        'taken',
      );
}

/** Takes one line out of a batch that is not approved; its lays have to be made again. */
export async function removeLine(batchId: number, lineId: number): Promise<Answer<{ id: number }>> {
  return changing(async (tx) => {
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    if (!batch) return failed('', 'This batch is no longer there.', 'gone');
    if (batch.status === 'approved' || batch.status === 'cut')
      return failed('', 'An approved batch is kept as it is.', 'frozen');
    await tx
      .update(schema.orderLines)
      .set({ batchId: null })
      .where(and(eq(schema.orderLines.id, lineId), eq(schema.orderLines.batchId, batchId)));
    await reopenBatches(tx, [batchId], 'A line has been taken out');
    return done({ id: batchId });
  });
}

/** Asks for the lays of a batch: `seconds` of search for all its cloths together. */
export async function makeLays(batchId: number, seconds: number): Promise<Answer<{ id: number }>> {
  if (!Number.isInteger(seconds) || seconds < 1 || seconds > 600)
    return failed('seconds', 'The search takes from 1 to 600 seconds.');
  return changing(async (tx) => {
    const [batch] = await tx
      .update(schema.batches)
      .set({
        status: 'queued',
        seconds,
        progress: 0,
        bestSoFar: null,
        progressNote: 'Waiting for its turn',
        error: '',
        cancelRequested: false,
        attempts: 0,
        heartbeatAt: null,
        secondsLeft: null,
        run: sql`${schema.batches.run} + 1`,
        updatedAt: new Date(),
      })
      .where(and(eq(schema.batches.id, batchId), inArray(schema.batches.status, [...OPEN])))
      .returning({ id: schema.batches.id, run: schema.batches.run });
    if (!batch) return failed('', 'This batch is being laid already, or is approved.', 'busy');
    await requestLay(tx, { batchId: batch.id, run: batch.run, seconds });
    return done({ id: batchId });
  });
}

/** Ends a running search; the best lays so far are kept. */
export async function stopLays(batchId: number): Promise<Answer<{ id: number }>> {
  return answering(async () => {
    await database()
      .update(schema.batches)
      .set({ cancelRequested: true })
      .where(and(eq(schema.batches.id, batchId), inArray(schema.batches.status, ['queued', 'laying'])));
    return done({ id: batchId });
  });
}

/** Approves the lays: from now on the batch and what it was made from stay as they are. */
export async function approveBatch(batchId: number, version: number): Promise<Answer<{ id: number }>> {
  return changing(async (tx) => {
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    if (!batch) return failed('', 'This batch is no longer there.', 'gone');
    if (batch.version !== version) return staleAnswer('batch', batch.version, batch.updatedAt);
    if (batch.status !== 'laid') return failed('', 'Make the lays first, then approve them.', 'not-laid');
    const unplaced = await tx
      .select({ plan: schema.lays.plan })
      .from(schema.lays)
      .where(eq(schema.lays.batchId, batchId));
    if (unplaced.some(({ plan }) => (plan as { unplaced: unknown[] }).unplaced.length > 0))
      return failed('', 'Some pieces fit on no cloth; change their orders first, then lay again.', 'unplaced');
    await tx
      .update(schema.batches)
      .set({ status: 'approved', approvedAt: new Date(), version: version + 1, updatedAt: new Date() })
      .where(eq(schema.batches.id, batchId));
    return done({ id: batchId });
  });
}

/** Says that an approved batch has been cut. */
export async function markCut(batchId: number): Promise<Answer<{ id: number }>> {
  return changing(async (tx) => {
    const [batch] = await tx
      .update(schema.batches)
      .set({ status: 'cut', version: sql`${schema.batches.version} + 1`, updatedAt: new Date() })
      .where(and(eq(schema.batches.id, batchId), eq(schema.batches.status, 'approved')))
      .returning({ id: schema.batches.id });
    return batch ? done(batch) : failed('', 'Only an approved batch can be cut.', 'not-approved');
  });
}

/** Deletes a batch that is not approved; its lines wait again. */
export async function deleteBatch(batchId: number): Promise<Answer<{ name: string }>> {
  return changing(async (tx) => {
    const [gone] = await tx
      .delete(schema.batches)
      .where(and(eq(schema.batches.id, batchId), notInArray(schema.batches.status, ['approved', 'cut'])))
      .returning({ name: schema.batches.name });
    return gone ? done(gone) : failed('', 'An approved batch is kept for the record.', 'frozen');
  });
}

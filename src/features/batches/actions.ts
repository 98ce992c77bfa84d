'use server';

import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import Joi from 'joi';
import { schema, type Transaction } from '@/db';
import { done, failed, gone, staleAnswer, type Answer } from '@/features/commands/answer';
import { change } from '@/features/commands/change';
import { isId } from '@/features/commands/ids';
import { keepableText } from '@/features/commands/keepable-text';
import { requestLay } from '@/work/queue';
import { isFrozen, lockBatches } from './lock';
import { reopenBatches } from './reopen';

const batchRules = Joi.object<{ name: string; lineIds: number[] }>({
  name: keepableText()
    .trim()
    .min(1)
    .max(120)
    .required()
    .messages({ '*': 'Give the batch a name of at most 120 letters.' }),
  lineIds: Joi.array()
    .items(Joi.number().integer().positive().max(2_147_483_647))
    .min(1)
    .max(2000)
    .unique()
    .required()
    .messages({ '*': 'Choose at least one order line.' }),
});

const OPEN = ['draft', 'laid', 'failed'] as const;

/** Makes a batch of waiting lines. Lines that somebody else batched meanwhile refuse it whole. */
export async function createBatch(input: { name: string; lineIds: number[] }): Promise<Answer<{ id: number }>> {
  const { value, error } = batchRules.validate(input);
  if (error) return failed(String(error.details[0]!.path[0]), error.details[0]!.message);
  return change(async (tx) => {
    const [batch] = await tx.insert(schema.batches).values({ name: value.name }).returning({ id: schema.batches.id });
    return (await takeLines(tx, batch!.id, value.lineIds)) ?? done(batch!);
  });
}

async function takeLines(tx: Transaction, batchId: number, lineIds: number[]): Promise<Answer<never> | null> {
  // Their orders stay as they are until the lines are taken: whoever edits one goes first or last.
  const ofLines = tx.select({ id: schema.orderLines.orderId }).from(schema.orderLines).where(inArray(schema.orderLines.id, lineIds)); // prettier-ignore
  await tx.select({ id: schema.orders.id }).from(schema.orders).where(inArray(schema.orders.id, ofLines)).orderBy(asc(schema.orders.id)).for('update'); // prettier-ignore
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
  if (!isId(batchId) || !isId(lineId)) return gone('batch');
  return change(async (tx) => {
    const [batch] = await lockBatches(tx, [batchId]);
    if (!batch) return gone('batch');
    if (isFrozen(batch)) return failed('', 'An approved batch is kept as it is.', 'frozen');
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
  if (!isId(batchId)) return gone('batch');
  return change(async (tx) => {
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
  if (!isId(batchId)) return gone('batch');
  return change(async (tx) => {
    await tx
      .update(schema.batches)
      .set({ cancelRequested: true })
      .where(and(eq(schema.batches.id, batchId), inArray(schema.batches.status, ['queued', 'laying'])));
    return done({ id: batchId });
  });
}

/** Approves the lays: from now on the batch and what it was made from stay as they are. */
export async function approveBatch(batchId: number, version: number): Promise<Answer<{ id: number }>> {
  if (!isId(batchId)) return gone('batch');
  return change(async (tx) => {
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    if (!batch) return gone('batch');
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
  if (!isId(batchId)) return gone('batch');
  return change(async (tx) => {
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
  if (!isId(batchId)) return gone('batch');
  return change(async (tx) => {
    const [batch] = await lockBatches(tx, [batchId]);
    if (!batch) return gone('batch');
    if (isFrozen(batch)) return failed('', 'An approved batch is kept for the record.', 'frozen');
    await tx.delete(schema.batches).where(eq(schema.batches.id, batchId));
    return done({ name: batch.name });
  });
}

import 'server-only';
import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import Joi from 'joi';
import { schema, type Transaction } from '@/db';
import { done, failed, gone, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import { keepableText } from '@/features/commands/keepable-text';
import { recordId } from '@/features/commands/record-id';
import { requestLay } from '@/work/queue';
import { lockBatches } from './lock';
import { reopenBatches } from './reopen';
import { BATCH_TRANSITIONS } from '@/core/batch';
import { applyTransition } from '@/core/transitions';

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

/** Makes a batch of waiting lines. Lines that somebody else batched meanwhile refuse it whole. */
export const createBatch: Command<{ name: string; lineIds: number[] }, { id: number }> = {
  name: 'make batch',
  read: byRules(batchRules),
  run: async ({ tx, made }, { name, lineIds }) => {
    const [batch] = await tx.insert(schema.batches).values({ name }).returning({ id: schema.batches.id });
    made('batch', batch!.id);
    return (await takeLines(tx, batch!.id, lineIds)) ?? done(batch!);
  },
};

async function takeLines(tx: Transaction, batchId: number, lineIds: number[]): Promise<Answer<never> | null> {
  // Their orders stay as they are until the lines are taken: whoever edits one goes first or last.
  const ofLines = tx
    .select({ id: schema.orderLines.orderId })
    .from(schema.orderLines)
    .where(inArray(schema.orderLines.id, lineIds));
  await tx
    .select({ id: schema.orders.id })
    .from(schema.orders)
    .where(inArray(schema.orders.id, ofLines))
    .orderBy(asc(schema.orders.id))
    .for('update');
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
export const removeLine: Command<{ batchId: number; lineId: number }, { id: number }> = {
  name: 'take line out of batch',
  read: byRules(Joi.object({ batchId: recordId('batch'), lineId: recordId('batch') })),
  run: async ({ tx, changes }, { batchId, lineId }) => {
    const [batch] = await lockBatches(tx, [batchId]);
    if (!batch) return gone('batch');
    const moved = applyTransition(BATCH_TRANSITIONS, batch.status, 'reopen');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'frozen');
    await changes('batch', batchId);
    await tx
      .update(schema.orderLines)
      .set({ batchId: null })
      .where(and(eq(schema.orderLines.id, lineId), eq(schema.orderLines.batchId, batchId)));
    await reopenBatches(tx, [batchId], 'A line has been taken out');
    return done({ id: batchId });
  },
};

/** Asks for the lays of a batch: `seconds` of search for all its cloths together. */
export const makeLays: Command<{ batchId: number; seconds: number }, { id: number }> = {
  name: 'make lays',
  read: byRules(
    Joi.object({
      batchId: recordId('batch'),
      seconds: Joi.number()
        .integer()
        .min(1)
        .max(600)
        .required()
        .messages({ '*': 'The search takes from 1 to 600 seconds.' }),
    }),
  ),
  run: async ({ tx, person, now, changes }, { batchId, seconds }) => {
    const [stored] = await lockBatches(tx, [batchId]);
    if (!stored) return gone('batch');
    const moved = applyTransition(BATCH_TRANSITIONS, stored.status, 'ask');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'busy');
    await changes('batch', batchId);
    const [run] = await tx
      .insert(schema.layRuns)
      .values({ batchId, askedBy: person?.id ?? null, seconds, note: 'Waiting for its turn' })
      .returning();
    await tx
      .update(schema.batches)
      .set({ status: moved.to!, seconds, runId: run!.id, note: '', updatedAt: now })
      .where(eq(schema.batches.id, batchId));
    await requestLay(tx, run!);
    return done({ id: batchId });
  },
};

/** Ends a running search; the best lays so far are kept. */
export const stopLays: Command<{ batchId: number }, { id: number }> = {
  name: 'stop lays',
  read: byRules(Joi.object({ batchId: recordId('batch') })),
  run: async ({ tx }, { batchId }) => {
    const running = tx.select({ id: schema.batches.runId }).from(schema.batches).where(eq(schema.batches.id, batchId));
    await tx.update(schema.layRuns).set({ cancelRequested: true }).where(inArray(schema.layRuns.id, running));
    return done({ id: batchId });
  },
};

/** Deletes a batch that is not approved; its lines wait again. */
export const deleteBatch: Command<{ batchId: number }, { name: string }> = {
  name: 'delete batch',
  read: byRules(Joi.object({ batchId: recordId('batch') })),
  run: async ({ tx, changes }, { batchId }) => {
    const [batch] = await lockBatches(tx, [batchId]);
    if (!batch) return gone('batch');
    const moved = applyTransition(BATCH_TRANSITIONS, batch.status, 'delete');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'frozen');
    await changes('batch', batchId);
    await tx.delete(schema.batches).where(eq(schema.batches.id, batchId));
    return done({ name: batch.name });
  },
};

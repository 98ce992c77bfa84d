import 'server-only';
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import Joi from 'joi';
import { BATCH_TRANSITIONS } from '@/core/batch';
import { applyTransition } from '@/core/transitions';
import { printNumber, STYLES, type Nm, type Units } from '@/core/length';
import { schema, type Transaction } from '@/db';
import { done, failed, gone, staleAnswer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import type { CommandContext } from '@/features/commands/context';
import { recordId } from '@/features/commands/record-id';
import { book, lockItems } from '@/features/stock/ledger';
import { frozenFor } from '@/records/approval';
import { dropCovers, makeCovers } from '@/records/covers';

/**
 * Approves the lays: from now on the batch and what it was made from stay as they are, and what they take of the shelf is reserved, in
 * one transaction. Of two lays on the same bolt the second is refused with what is left.
 */
export const approveBatch: Command<{ batchId: number; version: number }, { id: number }> = {
  name: 'approve batch',
  read: byRules(Joi.object({ batchId: recordId('batch'), version: Joi.number().integer().required() })),
  run: async (context, { batchId, version }) => {
    const { tx, now, changes } = context;
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    if (!batch) return gone('batch');
    if (batch.version !== version) return staleAnswer('batch', batch.version, batch.updatedAt);
    const moved = applyTransition(BATCH_TRANSITIONS, batch.status, 'approve');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'not-laid');
    const lays = await tx.select().from(schema.lays).where(eq(schema.lays.batchId, batchId));
    if (lays.some(({ plan }) => (plan as { unplaced: unknown[] }).unplaced.length > 0))
      return failed('', 'Some pieces fit on no cloth; change their orders first, then lay again.', 'unplaced');
    const wanted = lays.flatMap(({ units, stock }) =>
      stock.uses.flatMap(({ itemId, code, used }) => (itemId === null ? [] : [{ itemId, code, used, units }])),
    );
    const sheets = await sheetsFor(tx, lays);
    const items = await lockItems(
      tx,
      [...wanted, ...sheets].map(({ itemId }) => itemId),
    );
    for (const { itemId, code, used, units } of wanted) {
      const item = items.get(itemId);
      const left = item ? item.onHand - item.reserved : 0;
      if (left < used)
        return failed(
          '',
          `${code} has only ${lengthText(left, units)} free by now, and these lays take ${lengthText(used, units)} of it: make the lays again.`,
          'stock-short',
        );
    }
    await changes('batch', batchId);
    await book(
      context,
      [...wanted, ...shared(sheets, items)].map(({ itemId, used }) => ({
        itemId,
        sort: 'reserved',
        quantity: used,
        batchId,
      })),
    );
    await tx.insert(schema.approvals).values({
      batchId,
      no: sql`(SELECT coalesce(max(no), 0) + 1 FROM approvals WHERE batch_id = ${batchId})`,
      personId: context.person?.id ?? null,
      at: now,
      frozen: await frozenFor(tx, batchId, lays),
    });
    await tx
      .update(schema.batches)
      .set({ status: moved.to!, approvedAt: now, version: version + 1, updatedAt: now })
      .where(eq(schema.batches.id, batchId));
    await makeCovers(context, batchId);
    return done({ id: batchId });
  },
};

/** The sheets on the shelf that lays of foam and board may be cut from, the oldest first, and how many each cloth's lay takes. */
async function sheetsFor(tx: Transaction, lays: readonly (typeof schema.lays.$inferSelect)[]) {
  const wanted = lays.flatMap(({ clothId, cloth, plan }) =>
    (cloth as { sheetLengthNm?: number | null }).sheetLengthNm
      ? [{ clothId, count: (plan as { lays: { used: number }[] }).lays.filter(({ used }) => used > 0).length }]
      : [],
  );
  if (wanted.length === 0) return [];
  const { stockItems } = schema;
  const rows = await tx
    .select({ itemId: stockItems.id, clothId: stockItems.clothId })
    .from(stockItems)
    .where(
      and(
        inArray(
          stockItems.clothId,
          wanted.map(({ clothId }) => clothId),
        ),
        eq(stockItems.sort, 'sheets'),
      ),
    )
    .orderBy(stockItems.id);
  return rows.map((row) => ({ ...row, count: wanted.find(({ clothId }) => clothId === row.clothId)!.count }));
}

/** Takes of each of those sheets as many as they reach: the others are on the shopping list. */
function shared(
  sheets: Awaited<ReturnType<typeof sheetsFor>>,
  items: ReadonlyMap<number, { onHand: number; reserved: number }>,
) {
  const left = new Map(sheets.map(({ clothId, count }) => [clothId, count]));
  return sheets.map(({ itemId, clothId }) => {
    const item = items.get(itemId);
    const used = Math.min(left.get(clothId)!, item ? item.onHand - item.reserved : 0);
    left.set(clothId, left.get(clothId)! - used);
    return { itemId, used };
  });
}

const lengthText = (length: Nm, units: Units) =>
  `${printNumber(length, STYLES[units]).text.replace('≈ ', '')} ${STYLES[units].unit}`;

/** Takes an approval back before anything is cut, to plan again: what was reserved is free again, and the approval stays on record. */
export const withdrawApproval: Command<{ batchId: number }, { id: number }> = {
  name: 'take approval back',
  read: byRules(Joi.object({ batchId: recordId('batch') })),
  run: async (context, { batchId }) => {
    const { tx, now, changes } = context;
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    if (!batch) return gone('batch');
    const moved = applyTransition(BATCH_TRANSITIONS, batch.status, 'withdraw');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'not-approved');
    const cut = await tx.select({ cutAt: schema.lays.cutAt }).from(schema.lays).where(eq(schema.lays.batchId, batchId));
    if (cut.some(({ cutAt }) => cutAt !== null))
      return failed('', 'Some of it has been cut already; cut the rest, or book what went wrong.', 'cut');
    await changes('batch', batchId);
    await releaseReserved(context, batchId);
    await tx
      .update(schema.approvals)
      .set({ withdrawnAt: now })
      .where(and(eq(schema.approvals.batchId, batchId), isNull(schema.approvals.withdrawnAt)));
    await tx
      .update(schema.batches)
      .set({ status: moved.to!, approvedAt: null, version: sql`${schema.batches.version} + 1`, updatedAt: now })
      .where(eq(schema.batches.id, batchId));
    await dropCovers(context, batchId);
    return done({ id: batchId });
  },
};

/** Frees what a batch still has reserved, of some items or of all. */
export async function releaseReserved(context: CommandContext, batchId: number, itemIds?: readonly number[]) {
  const { movements } = schema;
  const held = await context.tx
    .select({
      itemId: movements.itemId,
      quantity:
        sql<number>`sum(CASE ${movements.sort} WHEN 'reserved' THEN ${movements.quantity} ELSE -${movements.quantity} END)`.mapWith(
          Number,
        ),
    })
    .from(movements)
    .where(and(eq(movements.batchId, batchId), inArray(movements.sort, ['reserved', 'released'])))
    .groupBy(movements.itemId)
    .orderBy(movements.itemId);
  const wanted = held.filter(({ itemId, quantity }) => quantity > 0 && (!itemIds || itemIds.includes(itemId)));
  await lockItems(
    context.tx,
    wanted.map(({ itemId }) => itemId),
  );
  await book(
    context,
    wanted.map(({ itemId, quantity }) => ({ itemId, sort: 'released', quantity, batchId })),
  );
}

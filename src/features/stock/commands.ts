import 'server-only';
import { isFrozen } from '@/core/batch';
import { eq } from 'drizzle-orm';
import Joi from 'joi';
import { availableOf, movementFault } from '@/core/stock';
import { schema } from '@/db';
import { done, failed, gone, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import type { CommandContext } from '@/features/commands/context';
import { keepableText } from '@/features/commands/keepable-text';
import { recordId } from '@/features/commands/record-id';
import { loadRules } from '@/features/workroom/settings';
import { readAmount, type Counted } from './amount';
import { cameIn } from './awaited';
import { catalogueEntry } from './catalogue';
import { MOST_DELIVERY_ROWS } from './delivery';
import { readReceipt, type ReceiveForm } from './form';
import { book, lockItems } from './ledger';
import { quantityText, reason, receiptShape } from './rules';

/** Books what came as a new item of the shelf. */
export const receive: Command<ReceiveForm, { id: number; code: string }> = {
  name: 'receive',
  read: byRules(receiptShape),
  run: async (context, form) => {
    const entry = await catalogueEntry(context.tx, form.what);
    if (!entry) return failed('what', 'That is no longer in the catalogue.', 'gone');
    const { values, quantity, faults } = readReceipt(form, entry);
    if (faults.length > 0) return { ok: false, faults };
    return done(await receiveItem(context, form.what, values, quantity));
  },
};

/** Books a whole delivery: all of its items, or none. */
export const receiveDelivery: Command<{ rows: ReceiveForm[] }, { items: number }> = {
  name: 'receive delivery',
  read: byRules(
    Joi.object({
      rows: Joi.array()
        .items(receiptShape)
        .min(1)
        .max(MOST_DELIVERY_ROWS)
        .required()
        .messages({ 'array.max': `A delivery note has at most ${MOST_DELIVERY_ROWS} rows; split it.` }),
    }),
  ),
  run: async (context, { rows }) => {
    for (const [i, form] of rows.entries()) {
      const entry = await catalogueEntry(context.tx, form.what);
      if (!entry) return failed(`rows.${i}`, `Row ${i + 1}: that is no longer in the catalogue.`, 'gone');
      const { values, quantity, faults } = readReceipt(form, entry);
      if (faults.length > 0) return failed(`rows.${i}`, `Row ${i + 1}: ${faults[0]!.message}`);
      await receiveItem(context, form.what, values, quantity, 'from a delivery note');
    }
    return done({ items: rows.length });
  },
};

type Values = ReturnType<typeof readReceipt>['values'];

/** Makes an item with its first movement. `what`: its key in the catalogue. */
async function receiveItem(context: CommandContext, what: string, values: Values, quantity: number, reasonGiven = '') {
  const [kind, key] = what.split(' ');
  const [item] = await context.tx
    .insert(schema.stockItems)
    .values({ ...values, [kind === 'cloth' ? 'clothId' : 'materialId']: Number(key), receivedAt: context.now })
    .returning({ id: schema.stockItems.id, code: schema.stockItems.code });
  context.made('stock', item!.id);
  await book(context, [{ itemId: item!.id, sort: 'received', quantity, reason: reasonGiven }]);
  await cameIn(context.tx, what, quantity, context.now);
  return item!;
}

/** How an item is counted: in the units of its cloth, or of the workroom. */
async function countedOf(
  tx: CommandContext['tx'],
  item: { clothId: number | null; sort: string; lengthNm: number | null },
): Promise<Counted> {
  const isLength =
    item.sort === 'bolt' || item.sort === 'remnant' || (item.sort === 'notion' && item.lengthNm !== null);
  if (item.clothId === null) return { isLength, units: (await loadRules(tx)).units };
  const [cloth] = await tx
    .select({ units: schema.cloths.units })
    .from(schema.cloths)
    .where(eq(schema.cloths.id, item.clothId));
  return { isLength, units: cloth!.units };
}

const place = keepableText().trim().allow('').max(120).required().messages({ '*': 'A place has at most 120 letters.' });

/** Puts an item somewhere else. */
export const moveItem: Command<{ id: number; place: string }, null> = {
  name: 'move stock',
  read: byRules(Joi.object({ id: recordId('item'), place })),
  run: async (context, { id, place: to }) => {
    const item = (await lockItems(context.tx, [id])).get(id);
    if (!item) return gone('item');
    if (item.place === to) return done(null);
    await context.changes('stock', id);
    await book(context, [
      { itemId: id, sort: 'moved', quantity: 0, reason: `${item.place || 'nowhere'} → ${to || 'nowhere'}` },
    ]);
    await context.tx.update(schema.stockItems).set({ place: to }).where(eq(schema.stockItems.id, id));
    return done(null);
  },
};

/** Books what was counted where it is another amount than the book says. */
export const countItem: Command<{ id: number; amount: string; reason: string }, { difference: number }> = {
  name: 'count stock',
  read: byRules(Joi.object({ id: recordId('item'), amount: quantityText, reason })),
  run: async (context, { id, amount, reason: why }) => {
    const item = (await lockItems(context.tx, [id])).get(id);
    if (!item) return gone('item');
    const read = readAmount(amount, await countedOf(context.tx, item));
    if ('message' in read) return failed('amount', read.message);
    const difference = read.value - item.onHand;
    const fault = movementFault(item, { sort: 'counted', quantity: difference });
    if (fault) return failed('amount', fault.message, fault.code);
    await context.changes('stock', id);
    await book(context, [{ itemId: id, sort: 'counted', quantity: difference, reason: why }]);
    return done({ difference });
  },
};

/** Books several counted items at once: all of them, or none. */
export const bookCount: Command<
  { rows: { id: number; amount: string; seen: number }[]; reason: string },
  { items: number }
> = {
  name: 'book count of the shelf',
  read: byRules(
    Joi.object({
      rows: Joi.array()
        .items(Joi.object({ id: recordId('item'), amount: quantityText, seen: Joi.number().integer().required() }))
        .min(1)
        .max(500)
        .unique('id')
        .required()
        .messages({
          'array.unique': 'This item is counted twice; keep one of the two.',
          '*': 'Count at least one item.',
        }),
      reason,
    }),
  ),
  run: async (context, { rows, reason: why }): Promise<Answer<{ items: number }>> => {
    const items = await lockItems(
      context.tx,
      rows.map(({ id }) => id),
    );
    let changed = 0;
    for (const { id, amount, seen } of rows) {
      const item = items.get(id);
      if (!item) return failed(`rows.${id}`, 'One of these items is no longer there.', 'gone');
      if (item.onHand !== seen)
        return failed(`rows.${id}`, `${item.code} has changed since it was counted: count it again.`, 'stale');
      const read = readAmount(amount, await countedOf(context.tx, item));
      if ('message' in read) return failed(`rows.${id}`, read.message);
      const difference = read.value - item.onHand;
      const fault = movementFault(item, { sort: 'counted', quantity: difference });
      if (fault) return failed(`rows.${id}`, `${item.code}: ${fault.message}`, fault.code);
      if (difference === 0) continue;
      await context.changes('stock', id);
      await book(context, [{ itemId: id, sort: 'counted', quantity: difference, reason: why }]);
      changed++;
    }
    return done({ items: changed });
  },
};

/** Lets go of what nobody will use: all of an item that is not reserved. */
export const letGo: Command<{ id: number; reason: string }, null> = {
  name: 'let stock go',
  read: byRules(Joi.object({ id: recordId('item'), reason })),
  run: async (context, { id, reason: why }) => {
    const item = (await lockItems(context.tx, [id])).get(id);
    if (!item) return gone('item');
    if (item.reserved > 0) return failed('', 'An approved lay has reserved some of it.', 'reserved');
    if (availableOf(item) === 0) return failed('', 'Nothing is left of it.', 'ended');
    await context.changes('stock', id);
    await book(context, [{ itemId: id, sort: 'wasted', cause: 'let go', quantity: item.onHand, reason: why }]);
    return done(null);
  },
};

/** Takes some of a notion for an order. */
export const useNotion: Command<{ id: number; amount: string; orderNo: string; reason: string }, null> = {
  name: 'use notion',
  read: byRules(
    Joi.object({
      id: recordId('item'),
      amount: quantityText,
      orderNo: Joi.string()
        .allow('')
        .pattern(/^\d{0,9}$/)
        .required()
        .messages({ '*': 'An order has a number.' }),
      reason: keepableText().allow('').max(400).required(),
    }),
  ),
  run: async (context, { id, amount, orderNo, reason: why }) => {
    const item = (await lockItems(context.tx, [id])).get(id);
    if (!item) return gone('item');
    const read = readAmount(amount, await countedOf(context.tx, item));
    if ('message' in read) return failed('amount', read.message);
    if (read.value === 0) return failed('amount', 'More than nothing is taken.');
    const fault = movementFault(item, { sort: 'used', quantity: read.value });
    if (fault) return failed('amount', fault.message, fault.code);
    const [order] =
      orderNo === ''
        ? []
        : await context.tx
            .select({ id: schema.orders.id })
            .from(schema.orders)
            .where(eq(schema.orders.no, Number(orderNo)));
    if (orderNo !== '' && !order) return failed('orderNo', `There is no order ${orderNo}.`);
    await context.changes('stock', id);
    await book(context, [{ itemId: id, sort: 'used', quantity: read.value, reason: why, orderId: order?.id ?? null }]);
    return done(null);
  },
};

/** Counters a movement that was booked by mistake: its opposite is booked, and both stay. */
export const reverseMovement: Command<{ id: number; reason: string }, null> = {
  name: 'reverse movement',
  read: byRules(
    Joi.object({
      id: Joi.number().integer().positive().required().messages({ '*': 'This movement is no longer there.' }),
      reason,
    }),
  ),
  run: async (context, { id, reason: why }) => {
    const { movements } = schema;
    const [found] = await context.tx.select().from(movements).where(eq(movements.id, id));
    if (!found) return gone('movement');
    const item = (await lockItems(context.tx, [found.itemId])).get(found.itemId)!;
    if (found.reversesId !== null)
      return failed('', 'This movement takes another one back; it can’t be taken back itself.');
    if (['reserved', 'released', 'moved'].includes(found.sort))
      return failed('', 'Only what came or went can be reversed; a reservation ends with its batch.');
    if (found.batchId !== null && found.sort !== 'wasted')
      return failed('', 'What a lay has cut stays on record; book a count with its reason instead.', 'cut');
    const [already] = await context.tx.select({ id: movements.id }).from(movements).where(eq(movements.reversesId, id));
    if (already) return failed('', 'This movement has been reversed already.', 'reversed');
    const opposite = { sort: found.sort, quantity: -found.quantity };
    const fault = movementFault(item, opposite);
    if (fault) return failed('', fault.message, fault.code);
    await context.changes('stock', item.id);
    await book(context, [
      {
        ...opposite,
        itemId: item.id,
        ...(found.cause && { cause: found.cause }),
        reason: why,
        orderId: found.orderId,
        batchId: found.batchId,
        reversesId: id,
      },
    ]);
    return done(null);
  },
};

/** Keeps what a person decided about the shelf for the lay of a cloth of a batch; it holds from the next lay. */
export const chooseStock: Command<
  { batchId: number; clothId: number; pinned: number[]; leftOut: number[]; isLotMixed: boolean },
  null
> = {
  name: 'choose stock',
  read: byRules(
    Joi.object({
      batchId: recordId('batch'),
      clothId: recordId('cloth'),
      pinned: Joi.array().items(recordId('item').optional()).max(200).unique().required(),
      leftOut: Joi.array().items(recordId('item').optional()).max(200).unique().required(),
      isLotMixed: Joi.boolean().strict().required(),
    }),
  ),
  run: async ({ tx, changes }, { batchId, clothId, ...choice }) => {
    const [batch] = await tx.select().from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    if (!batch) return gone('batch');
    if (isFrozen(batch))
      return failed('', 'An approved batch keeps its stock; take the approval back first.', 'frozen');
    await changes('batch', batchId);
    await tx
      .insert(schema.stockChoices)
      .values({ batchId, clothId, ...choice })
      .onConflictDoUpdate({ target: [schema.stockChoices.batchId, schema.stockChoices.clothId], set: choice });
    return done(null);
  },
};

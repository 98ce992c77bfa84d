import 'server-only';
import { addDays, format } from 'date-fns';
import { and, desc, eq, sql } from 'drizzle-orm';
import Joi from 'joi';
import { ACCEPTED, parseAmount, QUOTE_TRANSITIONS, type CostSheet, type QuoteEvent } from '@/core/cost';
import { applyTransition } from '@/core/transitions';
import { schema } from '@/db';
import { done, failed, gone, staleAnswer } from '@/features/commands/answer';
import { calendarDay } from '@/features/commands/calendar-day';
import type { CommandContext } from '@/features/commands/context';
import { byRules, type Command } from '@/features/commands/perform';
import { keepableText } from '@/features/commands/keepable-text';
import { recordId } from '@/features/commands/record-id';
import { loadCosting } from '@/records/costing';
import { readCosting } from '@/core/cost/costing-form';

const FIRST_NO = 1001;
/** An advisory lock: quotes get their numbers one after the other. */
const QUOTE_LOCK = 5_202_611;

/** Keeps a draft of what an order would cost. */
export const newQuote = (orderId: number, sheet: CostSheet): Command<null, { id: number }> => ({
  name: 'make quote',
  read: () => ({ value: null }),
  run: async ({ tx, now, person, made }) => {
    const [order] = await tx.select().from(schema.orders).where(eq(schema.orders.id, orderId)).for('update');
    if (!order || order.deletedAt) return gone('order');
    await tx.execute(sql`SELECT pg_advisory_xact_lock(${QUOTE_LOCK})`);
    const { quoteDays } = readCosting(await loadCosting(tx)).value;
    const [row] = await tx
      .insert(schema.quotes)
      .values({
        no: sql`(SELECT coalesce(max(no), ${FIRST_NO - 1}) + 1 FROM quotes)`,
        orderId,
        validUntil: format(addDays(now, quoteDays), 'yyyy-MM-dd'),
        sheet,
        totalMinor: sheet.total,
        currency: sheet.currency,
        personId: person?.id ?? null,
        createdAt: now,
        updatedAt: now,
      })
      .returning({ id: schema.quotes.id });
    made('quote', row!.id);
    return done(row!);
  },
});

/** Changes the words, the last day and the deposit of a draft. */
export const editQuote: Command<
  { id: number; version: number; words: string; validUntil: string; deposit: string },
  { version: number }
> = {
  name: 'edit quote',
  read: byRules(
    Joi.object({
      id: recordId('quote'),
      version: Joi.number().integer().required(),
      words: keepableText()
        .allow('')
        .max(2000)
        .required()
        .messages({ 'string.max': 'A note has at most 2,000 letters.' }),
      validUntil: calendarDay('Choose the last day on which it holds.').required(),
      deposit: Joi.string().allow('').max(40).required(),
    }),
  ),
  run: async ({ tx, now, changes }, { id, version, words, validUntil, deposit }) => {
    const [quote] = await tx.select().from(schema.quotes).where(eq(schema.quotes.id, id)).for('update');
    if (!quote) return gone('quote');
    if (quote.version !== version) return staleAnswer('quote', quote.version, quote.updatedAt);
    const moved = applyTransition(QUOTE_TRANSITIONS, quote.state, 'edit');
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'frozen');
    const depositMinor = deposit.trim() === '' ? null : parseAmount(deposit, quote.currency);
    if (deposit.trim() !== '' && (depositMinor === null || depositMinor > quote.totalMinor))
      return failed('deposit', 'A deposit is an amount, at most the whole price.');
    await changes('quote', id);
    await tx
      .update(schema.quotes)
      .set({ words, validUntil, depositMinor, version: version + 1, updatedAt: now })
      .where(eq(schema.quotes.id, id));
    return done({ version: version + 1 });
  },
};

/** Sends a quote, or keeps what the customer answered. What is accepted is the order's price. */
export const stepQuote: Command<{ id: number; event: QuoteEvent }, null> = {
  name: 'step quote',
  read: byRules(
    Joi.object({
      id: recordId('quote'),
      event: Joi.string().valid('send', 'accept', 'decline', 'delete').required(),
    }),
  ),
  run: async (context, { id, event }) => {
    const { tx, now, changes } = context;
    const { quotes } = schema;
    const [quote] = await tx.select().from(quotes).where(eq(quotes.id, id)).for('update');
    if (!quote) return gone('quote');
    const moved = applyTransition(QUOTE_TRANSITIONS, quote.state, event);
    if (moved.refusal !== undefined) return failed('', moved.refusal, 'state');
    if (event === 'accept') {
      if (quote.validUntil < format(now, 'yyyy-MM-dd'))
        return failed('', `This quote held until ${quote.validUntil}; make a new one at today’s prices.`, 'expired');
      await tx.select().from(schema.orders).where(eq(schema.orders.id, quote.orderId)).for('update');
      const [other] = await tx
        .select({ no: quotes.no })
        .from(quotes)
        .where(and(eq(quotes.orderId, quote.orderId), eq(quotes.state, ACCEPTED)));
      if (other) return failed('', `Quote ${other.no} was accepted for this order already.`, 'accepted');
    }
    await changes('quote', id);
    const { to } = moved;
    if (to === null) await tx.delete(quotes).where(eq(quotes.id, id));
    else
      await tx
        .update(quotes)
        .set({
          state: to,
          version: quote.version + 1,
          updatedAt: now,
          ...(event === 'send' ? { sentAt: now } : { answeredAt: now }),
        })
        .where(eq(quotes.id, id));
    if (event === 'send') await freezePromise(context, quote);
    return done(null);
  },
};

/** Writes the promise down once more as it goes out with a quote: the order's day, and what the plan said when that was chosen. */
async function freezePromise({ tx, now, person }: CommandContext, quote: { id: number; orderId: number }) {
  const { orders, promises } = schema;
  const [order] = await tx.select({ due: orders.due }).from(orders).where(eq(orders.id, quote.orderId));
  const [last] = await tx
    .select()
    .from(promises)
    .where(eq(promises.orderId, quote.orderId))
    .orderBy(desc(promises.id))
    .limit(1);
  await tx.insert(promises).values({
    orderId: quote.orderId,
    day: order!.due,
    readyDay: last?.readyDay ?? null,
    safeDay: last?.safeDay ?? null,
    why: last?.why ?? '',
    quoteId: quote.id,
    personId: person?.id ?? null,
    at: now,
  });
}

import 'server-only';
import { desc, eq } from 'drizzle-orm';
import {
  costDifferences,
  costSheet,
  type CostDifference,
  type CostSheet,
  type QuoteState,
  isAccepted,
} from '@/core/cost';
import { database, schema } from '@/db';
import { costingForm } from '@/features/workroom/queries';
import { readCosting } from '@/core/cost/costing-form';
import { LayFailure } from '@/records/cut-lists';
import { approvalsOf, costingRulesOf } from '@/records/approval';
import { findLengths, NotYetLaid } from '@/work/lengths-alone';
import { takesAlone, takesNow } from '@/records/order-takes';

const { quotes, orders, customers } = schema;

interface QuoteRow {
  id: number;
  no: number;
  state: QuoteState;
  validUntil: string;
  totalMinor: number;
  currency: string;
  version: number;
  createdAt: string;
  words: string;
  depositMinor: number | null;
}

export interface OrderCost {
  order: { id: number; no: number; mark: number; customer: string; due: string };
  /** The cost so far: shares of approved lays, the rest as if cut alone. */
  now: CostSheet;
  quotes: QuoteRow[];
  /** The accepted quote's sheet beside what it came to; null where none was accepted. */
  quoted: CostSheet | null;
  differences: CostDifference[];
}

async function head(orderId: number) {
  const [row] = await database()
    .select({
      id: orders.id,
      no: orders.no,
      mark: orders.mark,
      customer: customers.name,
      due: orders.due,
      deletedAt: orders.deletedAt,
    })
    .from(orders)
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(eq(orders.id, orderId));
  return row && row.deletedAt === null ? row : null;
}

const NO_WORKER =
  'What it takes by itself is not found yet: the program that makes lays does not answer. Try again in a while.';

/** Cost of an order alone at today's prices; the sheet that a quote is made from. */
export async function quoteSheet(orderId: number): Promise<{ sheet: CostSheet } | { message: string }> {
  const { costing } = readCosting(await costingForm()).value;
  try {
    return { sheet: costSheet(await takesAlone(database(), orderId, findLengths(database())), costing) };
  } catch (error) {
    if (error instanceof NotYetLaid) return { message: NO_WORKER };
    if (error instanceof LayFailure) return { message: error.message };
    throw error;
  }
}

/**
 * The cost of an order with its quotes; null where there is none, a sentence where it can't be calculated. Where the worker has not found
 * within `waitMs` what the order takes by itself, `isComing` says that it has been asked for.
 */
export async function orderCost(
  orderId: number,
  waitMs?: number,
): Promise<OrderCost | { message: string; isComing: boolean } | null> {
  const [order, approvals] = await Promise.all([head(orderId), approvalsOf(database(), orderId)]);
  if (!order) return null;
  const costing = await costingRulesOf(database(), approvals);
  try {
    const [takes, rows] = await Promise.all([
      takesNow(database(), orderId, { shareBy: costing.shareBy, approvals }, findLengths(database(), waitMs)),
      database().select().from(quotes).where(eq(quotes.orderId, orderId)).orderBy(desc(quotes.no)),
    ]);
    const now = costSheet(takes, costing);
    const accepted = rows.find(({ state }) => isAccepted(state))?.sheet ?? null;
    return {
      order,
      now,
      quotes: rows.map(rowOf),
      quoted: accepted,
      differences: accepted ? costDifferences(accepted, now) : [],
    };
  } catch (error) {
    if (error instanceof NotYetLaid) return { message: NO_WORKER, isComing: true };
    if (error instanceof LayFailure) return { message: error.message, isComing: false };
    throw error;
  }
}

const rowOf = (row: typeof quotes.$inferSelect): QuoteRow => ({
  id: row.id,
  no: row.no,
  state: row.state,
  validUntil: row.validUntil,
  totalMinor: row.totalMinor,
  currency: row.currency,
  version: row.version,
  createdAt: row.createdAt.toISOString(),
  words: row.words,
  depositMinor: row.depositMinor,
});

export interface QuoteView extends QuoteRow {
  order: { id: number; no: number; mark: number; customer: string; due: string };
  sheet: CostSheet;
}

/** A quote as it is shown and printed, or null. */
export async function getQuote(id: number): Promise<QuoteView | null> {
  const db = database();
  const [row] = await db.select().from(quotes).where(eq(quotes.id, id));
  if (!row) return null;
  const order = await head(row.orderId);
  if (!order) return null;
  return { ...rowOf(row), order, sheet: row.sheet };
}

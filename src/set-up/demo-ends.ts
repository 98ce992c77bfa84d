import { addDays } from 'date-fns';
import { eq } from 'drizzle-orm';
import { costSheet, type QuoteEvent } from '@/core/cost';
import { writeLength } from '@/core/length';
import { schema, type Database } from '@/db';
import { DEMO_COSTING } from '@/db/demo-shelf';
import { approveBatch } from '@/features/batches/approval';
import { closeLay } from '@/features/cutting/commands';
import type { CutForm, EventForm } from '@/features/cutting/form';
import { loadCut, type LayToCut } from '@/features/cutting/load-cut';
import { editQuote, newQuote, stepQuote } from '@/features/money/commands';
import { readCosting, type CostingForm } from '@/core/cost/costing-form';
import { findLengths } from '@/work/lengths-alone';
import { takesAlone } from '@/records/order-takes';
import { give, personOf } from './demo-give';

// How far the demo's batches and quotes have come once its lays are made: the commands that people would have given at the screen, at the
// times at which they would have.

/** Most remnants that the demo's cutter keeps of a lay. */
const MOST_KEPT = 2;

const versionOf = async (db: Database, batchId: number): Promise<number> =>
  (await db.select().from(schema.batches).where(eq(schema.batches.id, batchId)))[0]!.version;

export async function approveDemo(db: Database, batchId: number, by: number, at: Date) {
  await give(approveBatch, { batchId, version: await versionOf(db, batchId) }, await personOf(db, by), at);
}

/** Cuts a demo batch as it was planned; `hasTroubles`: but for a flaw on its first cloth and a piece that was cut again, and remnants are kept. */
export async function cutDemo(db: Database, batchId: number, by: number, at: Date, hasTroubles = true) {
  const person = await personOf(db, by);
  for (const [i, lay] of (await loadCut(db, batchId)).entries()) {
    const version = await versionOf(db, batchId);
    const form: CutForm = {
      batchId,
      clothId: lay.row.clothId,
      version,
      from: [],
      events: hasTroubles && i === 0 ? troublesOf(lay) : [],
      remnants: hasTroubles ? keptOf(lay) : [],
    };
    await give(closeLay, form, person, at);
  }
}

function troublesOf({ marker: { plan, parts } }: LayToCut): EventForm[] {
  const code = plan.lays.at(-1)!.stock;
  const part = parts.find(({ isStrip }) => !isStrip)!.id;
  return [
    { sort: 'flaw found', code, length: '3 in', part: '', why: 'a slub that the mill had not marked' },
    { sort: 'recut', code, length: '22 in', part, why: 'a slub right in the middle of the face' },
  ];
}

function keptOf({ row, remnants }: LayToCut): CutForm['remnants'] {
  const isOnShelf = (code: string) => row.stock.uses.some((use) => use.code === code && use.itemId !== null);
  return remnants
    .map(({ stock, box: [x0, y0, x1, y1] }, proposed) => ({
      code: stock,
      proposed,
      isKept: true,
      across: writeLength(Math.round(x1 - x0), row.units),
      along: writeLength(Math.round(y1 - y0), row.units),
      place: 'drawer 1',
    }))
    .filter(({ code }) => isOnShelf(code))
    .slice(0, MOST_KEPT);
}

/** Quotes in every state, for the orders of these numbers. */
const QUOTES: readonly { no: number; steps: readonly QuoteEvent[]; daysAgo: number }[] = [
  { no: 201, steps: ['send', 'accept'], daysAgo: 30 },
  { no: 205, steps: ['send', 'accept'], daysAgo: 22 },
  { no: 212, steps: ['send'], daysAgo: 4 },
  { no: 214, steps: [], daysAgo: 1 },
  { no: 218, steps: ['send', 'decline'], daysAgo: 15 },
  { no: 221, steps: ['send'], daysAgo: 2 },
];
/** An answer comes after so many days. */
const ANSWER_DAYS = 3;

export async function quoteDemo(db: Database, today: Date, by: number) {
  const person = await personOf(db, by);
  const { costing } = readCosting(DEMO_COSTING as CostingForm).value;
  for (const [i, { no, steps, daysAgo }] of QUOTES.entries()) {
    const [order] = await db.select({ id: schema.orders.id }).from(schema.orders).where(eq(schema.orders.no, no));
    const at = addDays(today, -daysAgo);
    const sheet = costSheet(await takesAlone(db, order!.id, findLengths(db)), costing);
    const { id } = await give(newQuote(order!.id, sheet), null, person, at);
    if (i % 2 === 0) {
      const [quote] = await db.select().from(schema.quotes).where(eq(schema.quotes.id, id));
      const { version, validUntil } = quote!;
      const words = 'With the cloth that you chose at the bench; half on order, half when it is fetched.';
      await give(editQuote, { id, version, words, validUntil, deposit: '' }, person, at);
    }
    for (const [step, event] of steps.entries())
      await give(stepQuote, { id, event }, person, addDays(at, step * ANSWER_DAYS));
  }
}

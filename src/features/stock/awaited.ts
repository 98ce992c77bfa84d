import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import Joi from 'joi';
import { schema, type Reader, type Transaction } from '@/db';
import { done, gone } from '@/features/commands/answer';
import { calendarDay } from '@/features/commands/calendar-day';
import { keepableText } from '@/features/commands/keepable-text';
import { byRules, type Command } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';
import { catalogueEntry } from './catalogue';

const day = calendarDay('Choose the day that the supplier named.').required();

/** Writes down that something was ordered from its supplier, with the day that they named; `what`: its key in the catalogue. */
export const awaitGoods: Command<{ what: string; quantity: number; day: string; note: string }, { id: number }> = {
  name: 'await goods',
  read: byRules(
    Joi.object({
      what: Joi.string()
        .pattern(/^(cloth|material) [1-9]\d{0,8}$/)
        .required(),
      quantity: Joi.number().integer().min(1).max(Number.MAX_SAFE_INTEGER).required(),
      day,
      note: keepableText().trim().allow('').max(200).default(''),
    }),
  ),
  run: async ({ tx, now, person }, { what, quantity, day: comes, note }) => {
    if (!(await catalogueEntry(tx, what))) return gone('stock');
    const [kind, key] = what.split(' ');
    const [row] = await tx
      .insert(schema.awaited)
      .values({
        [kind === 'cloth' ? 'clothId' : 'materialId']: Number(key),
        quantity,
        day: comes,
        note,
        personId: person?.id ?? null,
        at: now,
      } as typeof schema.awaited.$inferInsert)
      .returning({ id: schema.awaited.id });
    return done(row!);
  },
};

/** Moves what is on its way to another day, or gives it up (`day` null). */
export const changeAwaited: Command<{ id: number; day: string | null }, null> = {
  name: 'change awaited',
  read: byRules(Joi.object({ id: recordId('stock'), day: day.allow(null) })),
  run: async ({ tx, now }, { id, day: comes }) => {
    const { awaited } = schema;
    const isOpen = and(eq(awaited.id, id), isNull(awaited.closedAt));
    const [row] = await tx.select().from(awaited).where(isOpen).for('update');
    if (!row) return gone('stock');
    await tx
      .update(awaited)
      .set(comes === null ? { closedAt: now } : { day: comes })
      .where(isOpen);
    return done(null);
  },
};

/** Closes what was awaited of something by a quantity that came, the first day first; what is still to come of it stays. */
export async function cameIn(tx: Transaction, what: string, quantity: number, now: Date): Promise<void> {
  const { awaited } = schema;
  const [kind, key] = what.split(' ');
  const rows = await tx
    .select()
    .from(awaited)
    .where(and(eq(kind === 'cloth' ? awaited.clothId : awaited.materialId, Number(key)), isNull(awaited.closedAt)))
    .orderBy(asc(awaited.day), asc(awaited.id))
    .for('update');
  let left = quantity;
  for (const row of rows) {
    if (left <= 0) return;
    const isWhole = row.quantity <= left;
    await tx
      .update(awaited)
      .set(isWhole ? { closedAt: now } : { quantity: row.quantity - left })
      .where(eq(awaited.id, row.id));
    left -= row.quantity;
  }
}

/** Something that is on its way. */
export interface OnItsWay {
  id: number;
  what: string;
  name: string;
  quantity: number;
  day: string;
  note: string;
}

/** Everything that is on its way, by its day. */
export async function loadOnItsWay(db: Reader): Promise<OnItsWay[]> {
  const { awaited, cloths, materials } = schema;
  return db
    .select({
      id: awaited.id,
      what: sql<string>`CASE WHEN ${awaited.clothId} IS NULL THEN 'material ' || ${awaited.materialId} ELSE 'cloth ' || ${awaited.clothId} END`,
      name: sql<string>`coalesce(${cloths.name}, ${materials.name})`,
      quantity: awaited.quantity,
      day: awaited.day,
      note: awaited.note,
    })
    .from(awaited)
    .leftJoin(cloths, eq(cloths.id, awaited.clothId))
    .leftJoin(materials, eq(materials.id, awaited.materialId))
    .where(isNull(awaited.closedAt))
    .orderBy(asc(awaited.day), asc(awaited.id));
}

'use server';

import { and, eq, isNotNull, ne, sql } from 'drizzle-orm';
import { schema } from '@/db';
import { done, failed, gone, staleAnswer, type Answer, type Saved } from '@/features/commands/answer';
import { lockBatches } from '@/features/batches/lock';
import { reopenBatches } from '@/features/batches/reopen';
import { change, TryAgain } from '@/features/commands/change';
import { isId } from '@/features/commands/ids';
import { readClothForm } from './form';
import { readClothShape } from './rules';

/** What of a cloth no lay and no cost hangs on. */
const LOOKS = new Set(['name', 'pattern', 'groundColour', 'figureColour', 'notes']);

/** Saves a new cloth, or an edit of the version that the person saw; batches being planned on it are opened again. */
export async function saveCloth(
  input: unknown,
  edited: { id: number; version: number } | null,
): Promise<Answer<Saved>> {
  const shape = readClothShape(input);
  if ('faults' in shape) return { ok: false, faults: shape.faults };
  const { values, faults } = readClothForm(shape.value);
  if (faults.length > 0) return { ok: false, faults };
  if (edited && !isId(edited.id)) return gone('cloth');
  return change(async (tx): Promise<Answer<Saved>> => {
    if (!edited) {
      const [made] = await tx
        .insert(schema.cloths)
        .values(values)
        .onConflictDoNothing()
        .returning({ id: schema.cloths.id, version: schema.cloths.version });
      return made ? done({ ...made, reopened: [] }) : duplicate(values.name);
    }
    const planned = tx
      .selectDistinct({ id: schema.orderLines.batchId })
      .from(schema.lineCloths)
      .innerJoin(schema.orderLines, eq(schema.orderLines.id, schema.lineCloths.lineId))
      .where(and(eq(schema.lineCloths.clothId, edited.id), isNotNull(schema.orderLines.batchId)));
    const before = await planned;
    const locked = new Set((await lockBatches(tx, before.map(({ id }) => id!))).map(({ id }) => id)); // prettier-ignore
    const [stored] = await tx.select().from(schema.cloths).where(eq(schema.cloths.id, edited.id)).for('update');
    if (!stored) return failed('', 'This cloth has been deleted meanwhile. What you typed is still here.', 'gone');
    if (stored.version !== edited.version) return staleAnswer('cloth', stored.version, stored.updatedAt);
    const ids = (await planned).map(({ id }) => id!);
    if (ids.some((id) => !locked.has(id))) throw new TryAgain('a line of this cloth is in another batch');
    const isOther = Object.entries(values).some(
      ([name, value]) => !LOOKS.has(name) && stored[name as keyof typeof stored] !== value,
    );
    const [namesake] = await tx
      .select({ id: schema.cloths.id })
      .from(schema.cloths)
      .where(and(sql`lower(${schema.cloths.name}) = lower(${values.name})`, ne(schema.cloths.id, edited.id)));
    if (namesake) return duplicate(values.name);
    const reopened = await reopenBatches(tx, isOther ? ids : [], `${values.name} has changed`);
    const [saved] = await tx
      .update(schema.cloths)
      .set({ ...values, version: edited.version + 1, updatedAt: new Date() })
      .where(eq(schema.cloths.id, edited.id))
      .returning({ id: schema.cloths.id, version: schema.cloths.version });
    return done({ ...saved!, reopened });
  });
}

const duplicate = (name: string) => failed('name', `There is a cloth named “${name}” already.`, 'duplicate');

/** Deletes a cloth that nothing is cut from. */
export async function deleteCloth(id: number): Promise<Answer<{ name: string }>> {
  if (!isId(id)) return gone('cloth');
  return change(async (tx) => {
    const [stored] = await tx.select({ name: schema.cloths.name }).from(schema.cloths).where(eq(schema.cloths.id, id)).for('update'); // prettier-ignore
    if (!stored) return gone('cloth');
    const cut = await tx.select().from(schema.lineCloths).where(eq(schema.lineCloths.clothId, id)).limit(1);
    const laid = await tx.select({ id: schema.lays.id }).from(schema.lays).where(eq(schema.lays.clothId, id)).limit(1);
    if (cut.length + laid.length > 0) return failed('', 'Orders are cut from this cloth, so it is kept.', 'in-use');
    await tx.delete(schema.cloths).where(eq(schema.cloths.id, id));
    return done(stored);
  });
}

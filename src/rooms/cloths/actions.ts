'use server';

import { eq, inArray, sql } from 'drizzle-orm';
import { revalidatePath } from 'next/cache';
import { database, schema } from '@/db';
import { answering, brokenConstraint, done, failed, staleAnswer, type Answer, type Saved } from '@/rooms/answer';
import { reopenBatches } from '@/rooms/batches/reopen';
import { readClothForm } from './form';
import { readClothShape } from './rules';

/** What of a cloth no lay and no cost hangs on. */
const LOOKS = new Set(['name', 'pattern', 'groundColour', 'figureColour', 'notes']);

/** Saves a new cloth, or an edit of the version that the person saw; batches being planned on it are opened again. */
export async function saveCloth(
  input: unknown,
  edited: { id: number; version: number } | null,
): Promise<Answer<Saved>> {
  return answering(async () => {
    const shape = readClothShape(input);
    if ('faults' in shape) return { ok: false, faults: shape.faults };
    const { values, faults } = readClothForm(shape.value);
    if (faults.length > 0) return { ok: false, faults };
    try {
      const answer = await database().transaction(async (tx): Promise<Answer<Saved>> => {
        if (!edited) {
          const [made] = await tx
            .insert(schema.cloths)
            .values(values)
            .returning({ id: schema.cloths.id, version: schema.cloths.version });
          return done({ ...made!, reopened: [] });
        }
        const [stored] = await tx.select().from(schema.cloths).where(eq(schema.cloths.id, edited.id)).for('update');
        if (!stored) return failed('', 'This cloth has been deleted meanwhile. What you typed is still here.', 'gone');
        if (stored.version !== edited.version) return staleAnswer('cloth', stored.version, stored.updatedAt);
        const planned = await tx
          .selectDistinct({ id: schema.orderLines.batchId })
          .from(schema.lineCloths)
          .innerJoin(schema.orderLines, eq(schema.orderLines.id, schema.lineCloths.lineId))
          .where(sql`${schema.lineCloths.clothId} = ${edited.id} AND ${schema.orderLines.batchId} IS NOT NULL`);
        const isOther = Object.entries(values).some(
          ([name, value]) => !LOOKS.has(name) && stored[name as keyof typeof stored] !== value,
        );
        const ids = isOther ? planned.map(({ id }) => id!) : [];
        const reopened = await reopenBatches(tx, ids, `${values.name} has changed`);
        const [saved] = await tx
          .update(schema.cloths)
          .set({ ...values, version: edited.version + 1, updatedAt: new Date() })
          .where(eq(schema.cloths.id, edited.id))
          .returning({ id: schema.cloths.id, version: schema.cloths.version });
        return done({ ...saved!, reopened });
      });
      if (answer.ok) revalidatePath('/', 'layout');
      return answer;
    } catch (error) {
      if (brokenConstraint(error) === 'cloths_name')
        return failed('name', `There is a cloth named “${values.name}” already.`, 'duplicate');
      throw error;
    }
  });
}

/** Deletes a cloth that nothing is cut from. */
export async function deleteCloth(id: number): Promise<Answer<{ name: string }>> {
  return answering(async () => {
    try {
      const [gone] = await database()
        .delete(schema.cloths)
        .where(inArray(schema.cloths.id, [id]))
        .returning({ name: schema.cloths.name });
      if (!gone) return failed('', 'This cloth is no longer there.', 'gone');
      revalidatePath('/', 'layout');
      return done(gone);
    } catch (error) {
      if (brokenConstraint(error)) return failed('', 'Orders are cut from this cloth, so it is kept.', 'in-use');
      throw error;
    }
  });
}

import 'server-only';

import { and, eq, isNotNull, ne, sql } from 'drizzle-orm';
import Joi from 'joi';
import { schema } from '@/db';
import { keepPrice } from '@/db/prices';
import { done, failed, gone, staleAnswer, type Answer, type Saved } from '@/features/commands/answer';
import { lockBatches } from '@/features/batches/lock';
import { reopenBatches } from '@/features/batches/reopen';
import { byRules, TryAgain, type Command } from '@/features/commands/perform';
import { editedRecord, recordId, type Edited } from '@/features/commands/record-id';
import { readClothForm, type ClothValues } from './form';
import { readClothShape } from './rules';

/** Cosmetic columns: changing them keeps lays valid. */
const LOOKS = new Set([
  'name',
  'pattern',
  'groundColour',
  'figureColour',
  'notes',
  'supplier',
  'firmness',
  'life',
  'thicknessNm',
  'usualFor',
]);

const isOfCloth = byRules(editedRecord('cloth'));

/** Saves a new cloth, or an edit of the version that the person saw; batches being planned on it are opened again. */
export const saveCloth: Command<{ values: ClothValues; edited: Edited | null }, Saved> = {
  name: 'save cloth',
  read: (input) => {
    const { form, edited } = input as { form: unknown; edited: unknown };
    const shape = readClothShape(form);
    if ('faults' in shape) return shape;
    const { values, faults } = readClothForm(shape.value);
    if (faults.length > 0) return { faults };
    const which = isOfCloth(edited);
    return 'faults' in which ? which : { value: { values, edited: which.value } };
  },
  run: async ({ tx, now, changes, made }, { values, edited }): Promise<Answer<Saved>> => {
    if (!edited) {
      const [row] = await tx
        .insert(schema.cloths)
        .values(values)
        .onConflictDoNothing()
        .returning({ id: schema.cloths.id, version: schema.cloths.version });
      if (!row) return duplicate(values.name);
      made('cloth', row.id);
      await keepPrice(tx, { clothId: row.id }, values, now);
      return done({ ...row, reopened: [] });
    }
    const planned = tx
      .selectDistinct({ id: schema.orderLines.batchId })
      .from(schema.lineCloths)
      .innerJoin(schema.orderLines, eq(schema.orderLines.id, schema.lineCloths.lineId))
      .where(and(eq(schema.lineCloths.clothId, edited.id), isNotNull(schema.orderLines.batchId)));
    const before = await planned;
    const locked = new Set(
      (
        await lockBatches(
          tx,
          before.map(({ id }) => id!),
        )
      ).map(({ id }) => id),
    );
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
    await changes('cloth', edited.id);
    await keepPrice(tx, { clothId: edited.id }, values, now);
    const reopened = await reopenBatches(tx, isOther ? ids : [], `${values.name} has changed`);
    const [saved] = await tx
      .update(schema.cloths)
      .set({ ...values, version: edited.version + 1, updatedAt: now })
      .where(eq(schema.cloths.id, edited.id))
      .returning({ id: schema.cloths.id, version: schema.cloths.version });
    return done({ ...saved!, reopened });
  },
};

const duplicate = (name: string) => failed('name', `There is a cloth named “${name}” already.`, 'duplicate');

/** Deletes a cloth that nothing is cut from. */
export const deleteCloth: Command<{ id: number }, { name: string }> = {
  name: 'delete cloth',
  read: byRules(Joi.object({ id: recordId('cloth') })),
  run: async ({ tx, changes }, { id }) => {
    const [stored] = await tx
      .select({ name: schema.cloths.name })
      .from(schema.cloths)
      .where(eq(schema.cloths.id, id))
      .for('update');
    if (!stored) return gone('cloth');
    const cut = await tx.select().from(schema.lineCloths).where(eq(schema.lineCloths.clothId, id)).limit(1);
    const laid = await tx.select({ id: schema.lays.id }).from(schema.lays).where(eq(schema.lays.clothId, id)).limit(1);
    if (cut.length + laid.length > 0) return failed('', 'Orders are cut from this cloth, so it is kept.', 'in-use');
    const onShelf = await tx
      .select({ id: schema.stockItems.id })
      .from(schema.stockItems)
      .where(eq(schema.stockItems.clothId, id))
      .limit(1);
    if (onShelf.length > 0) return failed('', 'Some of this cloth has been on the shelf, so it is kept.', 'in-use');
    await changes('cloth', id);
    await tx.delete(schema.cloths).where(eq(schema.cloths.id, id));
    return done(stored);
  },
};

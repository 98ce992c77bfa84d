import 'server-only';
import { and, eq, ne, sql } from 'drizzle-orm';
import Joi from 'joi';
import { keepPrice } from '@/db/prices';
import { schema } from '@/db';
import { done, failed, gone, staleAnswer, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import { editedRecord, recordId, type Edited } from '@/features/commands/record-id';
import { loadRules } from '@/features/workroom/settings';
import { readMaterial, type MaterialForm } from './form';
import { readMaterialShape } from './rules';

type Kept = { id: number; version: number };
const isOfMaterial = byRules(editedRecord('notion'));
const duplicate = (name: string) => failed('name', `There is a notion named “${name}” already.`, 'duplicate');

/** Saves a notion of the catalogue; a new price holds from today, and the old one stays on record. */
export const saveMaterial: Command<{ form: MaterialForm; edited: Edited | null }, Kept> = {
  name: 'save notion',
  read: (input) => {
    const { form, edited } = input as { form: unknown; edited: unknown };
    const shape = readMaterialShape(form);
    if ('faults' in shape) return shape;
    const which = isOfMaterial(edited);
    return 'faults' in which ? which : { value: { form: shape.value, edited: which.value } };
  },
  run: async ({ tx, now, changes, made }, { form, edited }): Promise<Answer<Kept>> => {
    const { values, faults } = readMaterial(form, (await loadRules(tx)).units);
    if (faults.length > 0) return { ok: false, faults };
    const { materials } = schema;
    const [namesake] = await tx
      .select({ id: materials.id })
      .from(materials)
      .where(
        and(sql`lower(${materials.name}) = lower(${values.name})`, edited ? ne(materials.id, edited.id) : undefined),
      );
    if (namesake) return duplicate(values.name);
    if (!edited) {
      const [row] = await tx
        .insert(materials)
        .values(values)
        .returning({ id: materials.id, version: materials.version });
      made('material', row!.id);
      await keepPrice(tx, { materialId: row!.id }, values, now);
      return done(row!);
    }
    const [stored] = await tx.select().from(materials).where(eq(materials.id, edited.id)).for('update');
    if (!stored) return failed('', 'This notion has been deleted meanwhile. What you typed is still here.', 'gone');
    if (stored.version !== edited.version) return staleAnswer('notion', stored.version, stored.updatedAt);
    await changes('material', edited.id);
    await keepPrice(tx, { materialId: edited.id }, values, now);
    const [saved] = await tx
      .update(materials)
      .set({ ...values, version: edited.version + 1, updatedAt: now })
      .where(eq(materials.id, edited.id))
      .returning({ id: materials.id, version: materials.version });
    return done(saved!);
  },
};

/** Deletes a notion that was never on the shelf. */
export const deleteMaterial: Command<{ id: number }, { name: string }> = {
  name: 'delete notion',
  read: byRules(Joi.object({ id: recordId('notion') })),
  run: async ({ tx, changes }, { id }) => {
    const { materials, stockItems, lineMaterials } = schema;
    const [stored] = await tx
      .select({ name: materials.name })
      .from(materials)
      .where(eq(materials.id, id))
      .for('update');
    if (!stored) return gone('notion');
    const onShelf = await tx
      .select({ id: stockItems.id })
      .from(stockItems)
      .where(eq(stockItems.materialId, id))
      .limit(1);
    const named = await tx.select().from(lineMaterials).where(eq(lineMaterials.materialId, id)).limit(1);
    if (onShelf.length + named.length > 0)
      return failed('', 'It has been on the shelf or in an order, so it is kept.', 'in-use');
    await changes('material', id);
    await tx.delete(materials).where(eq(materials.id, id));
    return done(stored);
  },
};

import 'server-only';
import { eq } from 'drizzle-orm';
import Joi from 'joi';
import { checkKind, type CoverKind } from '@/core/covers';
import { parseKind, readKind } from '@/core/files';
import type { Fault } from '@/core/result';
import { schema } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { done, failed, gone, staleAnswer, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import type { CommandContext } from '@/features/commands/context';
import { editedRecord, recordId, type Edited } from '@/features/commands/record-id';
import { isAllKeepable } from '@/features/commands/texts';
import { rulesFaults, type WorkroomAddress, type WorkroomRules } from './form';
import { ADDRESS_KEY, BACKUP_KEY, FIRST_HOUR_KEY, LOGO_KEY, RULES_KEY } from './settings';
import { COSTING_KEY } from '@/records/costing';
import { readCosting, type CostingForm } from '@/core/cost/costing-form';
import { addressShape, readCostingShape, readRules } from './rules';

type Kept = { id: number; version: number };

const refused = (message: string): { faults: Fault[] } => ({ faults: [{ code: 'refused', field: '', message }] });

/** Saves the workroom's rules; orders that are written from now on start with them. */
export const saveRules: Command<WorkroomRules, null> = {
  name: 'save workroom rules',
  read: (input) => {
    const read = readRules(input);
    if ('faults' in read) return read;
    const faults = rulesFaults(read.value);
    return faults.length > 0 ? { faults } : read;
  },
  run: (context, rules) => keepSetting(context, RULES_KEY, rules),
};

/** Saves what the workroom calculates with; quotes that were sent stay as they are. */
export const saveCosting: Command<CostingForm, null> = {
  name: 'save costing',
  read: (input) => {
    const shape = readCostingShape(input);
    if ('faults' in shape) return shape;
    const { faults } = readCosting(shape.value);
    return faults.length > 0 ? { faults } : shape;
  },
  run: (context, form) => keepSetting(context, COSTING_KEY, form),
};

/** Saves the workroom's name and address; quotes that are printed from now on have them. */
export const saveAddress: Command<WorkroomAddress, null> = {
  name: 'save workroom address',
  read: byRules(addressShape),
  run: (context, address) => keepSetting(context, ADDRESS_KEY, address),
};

/** Keeps the logo of the workroom's papers: a PNG in base64, drawn by `readLogo`; empty takes it off. */
export const keepLogo: Command<{ png: string }, null> = {
  name: 'save workroom logo',
  read: byRules(Joi.object({ png: Joi.string().base64().allow('').max(3_000_000).required() })),
  run: (context, logo) => keepSetting(context, LOGO_KEY, logo),
};

/** Takes the list of the first hour off the first page. */
export const skipFirstHour: Command<null, null> = {
  name: 'skip first hour',
  read: () => ({ value: null }),
  run: (context) => keepSetting(context, FIRST_HOUR_KEY, { isSkipped: true }),
};

/** Keeps when the last backup was made, and how large it is. */
export const keepBackup: Command<{ at: string; bytes: number }, null> = {
  name: 'make backup',
  read: byRules(Joi.object({ at: Joi.string().isoDate().required(), bytes: Joi.number().required() })),
  run: (context, value) => keepSetting(context, BACKUP_KEY, value),
};

async function keepSetting({ tx, changes }: CommandContext, key: string, value: unknown): Promise<Answer<null>> {
  await changes('settings', 0);
  await tx
    .insert(schema.settings)
    .values({ key, value })
    .onConflictDoUpdate({ target: schema.settings.key, set: { value } });
  return done(null);
}

const isOfKind = byRules(editedRecord('kind'));

/** Saves an own kind as its next version, or a new kind as its first; orders made before keep theirs. */
export const saveKind: Command<{ kind: CoverKind; edited: Edited | null }, Kept> = {
  name: 'save kind',
  read: (input) => {
    const { kind: given, edited } = input as { kind: unknown; edited: unknown };
    if (!isAllKeepable(given)) return refused('A character in this kind can’t be kept; write that field again.');
    const shape = readKind(given);
    if (!shape.ok) return { faults: shape.faults };
    const { kind, faults } = checkKind(shape.value);
    if (faults.length > 0) return { faults };
    const which = isOfKind(edited);
    return 'faults' in which ? which : { value: { kind, edited: which.value } };
  },
  run: keepKind,
};

/** The code of the refusal of a kind that comes in under a name that another one has. */
const SAME_NAME = 'same-name';

/** Takes a kind in from its document, under its own name or another; two kinds of one name are not told apart in an order. */
export const importKind: Command<CoverKind, Kept> = {
  name: 'take kind in',
  read: (input) => {
    const { source, name } = (input ?? {}) as { source: unknown; name: unknown };
    if (typeof source !== 'string' || !isAllKeepable(source)) return refused('This is not a text file.');
    const kind = parseKind(source);
    if (!kind.ok) return { faults: kind.faults };
    if (typeof name !== 'string' || name.trim() === '') return { value: kind.value };
    const { kind: named, faults } = checkKind({ ...kind.value, name: name.trim() });
    return faults.length > 0 || !isAllKeepable(name) ? { faults } : { value: named };
  },
  run: async (context, kind) => {
    const { current } = await loadKindBook(context.tx);
    const name = kind.name.trim().toLowerCase();
    if (current.some((one) => one.name.trim().toLowerCase() === name))
      return failed('name', `There is a kind called “${kind.name}” already. Take it in under another name.`, SAME_NAME);
    return keepKind(context, { kind, edited: null });
  },
};

async function keepKind(
  { tx, now, changes, made }: CommandContext,
  { kind, edited }: { kind: CoverKind; edited: Edited | null },
): Promise<Answer<Kept>> {
  if (!edited) {
    const [row] = await tx.insert(schema.kinds).values({}).returning({ id: schema.kinds.id });
    made('kind', row!.id);
    await tx.insert(schema.kindVersions).values({ kindId: row!.id, version: 1, data: kind });
    return done({ id: row!.id, version: 1 });
  }
  const [stored] = await tx.select().from(schema.kinds).where(eq(schema.kinds.id, edited.id)).for('update');
  if (!stored) return failed('', 'This kind is no longer there. What you wrote is still here.', 'gone');
  if (stored.version !== edited.version) return staleAnswer('kind', stored.version, stored.updatedAt);
  await changes('kind', edited.id);
  const version = stored.version + 1;
  await tx.insert(schema.kindVersions).values({ kindId: edited.id, version, data: kind });
  await tx.update(schema.kinds).set({ version, updatedAt: now }).where(eq(schema.kinds.id, edited.id));
  return done({ id: edited.id, version });
}

/** Takes a kind out of the list of those that are offered, or puts it back. */
export const withdrawKind: Command<{ id: number; isWithdrawn: boolean }, null> = {
  name: 'withdraw kind',
  read: byRules(Joi.object({ id: recordId('kind'), isWithdrawn: Joi.boolean().strict().required() })),
  run: async ({ tx, now, changes }, { id, isWithdrawn }) => {
    await changes('kind', id);
    const changed = await tx
      .update(schema.kinds)
      .set({ withdrawnAt: isWithdrawn ? now : null })
      .where(eq(schema.kinds.id, id))
      .returning({ id: schema.kinds.id });
    return changed.length > 0 ? done(null) : gone('kind');
  },
};

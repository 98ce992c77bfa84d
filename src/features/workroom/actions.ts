'use server';

import { eq } from 'drizzle-orm';
import { checkKind, type CoverKind } from '@/core/covers';
import { parseKind, readKind } from '@/core/files';
import { schema } from '@/db';
import { answering, done, failed, gone, staleAnswer, type Answer } from '@/features/commands/answer';
import { change } from '@/features/commands/change';
import { isId } from '@/features/commands/ids';
import { isAllKeepable } from '@/features/commands/texts';
import { rulesFaults } from './form';
import { backUp } from '@/work/backup';
import { BACKUP_KEY, RULES_KEY } from './queries';
import { readRules } from './rules';

/** Saves the workroom's rules; orders that are written from now on start with them. */
export async function saveRules(input: unknown): Promise<Answer<null>> {
  const read = readRules(input);
  if ('faults' in read) return { ok: false, faults: read.faults };
  const faults = rulesFaults(read.value);
  if (faults.length > 0) return { ok: false, faults };
  return change(async (tx) => {
    await tx
      .insert(schema.settings)
      .values({ key: RULES_KEY, value: read.value })
      .onConflictDoUpdate({ target: schema.settings.key, set: { value: read.value } });
    return done(null);
  });
}

/** Saves an own kind as its next version, or a new kind as its first; orders made before keep theirs. */
export async function saveKind(
  input: unknown,
  edited: { id: number; version: number } | null,
): Promise<Answer<{ id: number; version: number }>> {
  return answering(async () => {
    if (!isAllKeepable(input)) return failed('', 'A character in this kind can’t be kept; write that field again.');
    const shape = readKind(input);
    if (!shape.ok) return shape;
    const { kind, faults } = checkKind(shape.value);
    if (faults.length > 0) return { ok: false, faults };
    return keep(kind, edited);
  });
}

/** Takes a kind in from its document. */
export async function importKind(source: unknown): Promise<Answer<{ id: number; version: number }>> {
  return answering(async () => {
    if (typeof source !== 'string' || !isAllKeepable(source)) return failed('', 'This is not a text file.');
    const kind = parseKind(source);
    return kind.ok ? keep(kind.value, null) : kind;
  });
}

async function keep(
  kind: CoverKind,
  edited: { id: number; version: number } | null,
): Promise<Answer<{ id: number; version: number }>> {
  if (edited && !isId(edited.id)) return gone('kind');
  return change(async (tx) => {
    if (!edited) {
      const [row] = await tx.insert(schema.kinds).values({}).returning({ id: schema.kinds.id });
      await tx.insert(schema.kindVersions).values({ kindId: row!.id, version: 1, data: kind });
      return done({ id: row!.id, version: 1 });
    }
    const [stored] = await tx.select().from(schema.kinds).where(eq(schema.kinds.id, edited.id)).for('update');
    if (!stored) return failed('', 'This kind is no longer there. What you wrote is still here.', 'gone');
    if (stored.version !== edited.version) return staleAnswer('kind', stored.version, stored.updatedAt);
    const version = stored.version + 1;
    await tx.insert(schema.kindVersions).values({ kindId: edited.id, version, data: kind });
    await tx.update(schema.kinds).set({ version, updatedAt: new Date() }).where(eq(schema.kinds.id, edited.id));
    return done({ id: edited.id, version });
  });
}

/** Takes a kind out of the list of those that are offered, or puts it back. */
export async function withdrawKind(id: number, isWithdrawn: boolean): Promise<Answer<null>> {
  if (!isId(id)) return gone('kind');
  return change(async (tx) => {
    const changed = await tx
      .update(schema.kinds)
      .set({ withdrawnAt: isWithdrawn ? new Date() : null })
      .where(eq(schema.kinds.id, id))
      .returning({ id: schema.kinds.id });
    return changed.length > 0 ? done(null) : gone('kind');
  });
}

/** Writes the whole workroom into a backup, and keeps when that was. */
export async function makeBackup(): Promise<Answer<{ file: string }>> {
  return answering(async () => {
    const now = new Date();
    const made = await backUp(now);
    if (!made.ok) return made;
    const value = { at: now.toISOString(), bytes: made.value.bytes };
    return change(async (tx) => {
      await tx
        .insert(schema.settings)
        .values({ key: BACKUP_KEY, value })
        .onConflictDoUpdate({ target: schema.settings.key, set: { value } });
      return done({ file: made.value.file });
    });
  });
}

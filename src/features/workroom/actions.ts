'use server';

import { answering, done, type Answer } from '@/features/commands/answer';
import { refusalHere, runCommand } from '@/features/commands/command';
import type { Edited } from '@/features/commands/record-id';
import { backUp } from './backup';
import * as commands from './commands';

export async function saveRules(rules: unknown, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.saveRules, rules, requestId);
}

export async function saveKind(
  kind: unknown,
  edited: Edited | null,
  requestId?: string,
): Promise<Answer<{ id: number; version: number }>> {
  return runCommand(commands.saveKind, { kind, edited }, requestId);
}

/** `name`: the name under which the kind is taken in; empty for its own. */
export async function importKind(
  source: unknown,
  name: string,
  requestId?: string,
): Promise<Answer<{ id: number; version: number }>> {
  return runCommand(commands.importKind, { source, name }, requestId);
}

export async function withdrawKind(id: number, isWithdrawn: boolean, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.withdrawKind, { id, isWithdrawn }, requestId);
}

/** Writes the whole workroom into a backup, and keeps when that was. */
export async function makeBackup(requestId?: string): Promise<Answer<{ file: string }>> {
  return answering(async () => {
    const refusal = await refusalHere('make backup');
    if (refusal) return refusal;
    const now = new Date();
    const made = await backUp(now);
    if (!made.ok) return made;
    const kept = await runCommand(commands.keepBackup, { at: now.toISOString(), bytes: made.value.bytes }, requestId);
    return kept.ok ? done({ file: made.value.file }) : kept;
  });
}

export async function saveCosting(form: unknown, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.saveCosting, form, requestId);
}

export async function saveAddress(address: unknown, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.saveAddress, address, requestId);
}

export async function skipFirstHour(requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.skipFirstHour, null, requestId);
}

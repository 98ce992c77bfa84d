'use server';

import type { Answer, Saved } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import type { Edited } from '@/features/commands/record-id';
import * as commands from './commands';

export async function saveCloth(form: unknown, edited: Edited | null, requestId?: string): Promise<Answer<Saved>> {
  return runCommand(commands.saveCloth, { form, edited }, requestId);
}

export async function deleteCloth(id: number, requestId?: string): Promise<Answer<{ name: string }>> {
  return runCommand(commands.deleteCloth, { id }, requestId);
}

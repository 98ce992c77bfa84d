'use server';

import type { Answer, Saved } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import type { Edited } from '@/features/commands/record-id';
import * as commands from './commands';
import { dropPhoto } from './photo';

export async function saveCloth(form: unknown, edited: Edited | null, requestId?: string): Promise<Answer<Saved>> {
  return runCommand(commands.saveCloth, { form, edited }, requestId);
}

export async function deleteCloth(id: number, requestId?: string): Promise<Answer<{ name: string }>> {
  return runCommand(commands.deleteCloth, { id }, requestId);
}

export async function dropClothPhoto(id: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(dropPhoto, { id }, requestId);
}

'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import type { Edited } from '@/features/commands/record-id';
import * as commands from './commands';
import type { MaterialForm } from './form';

export async function saveMaterial(
  form: MaterialForm,
  edited: Edited | null,
  requestId?: string,
): Promise<Answer<{ id: number; version: number }>> {
  return runCommand(commands.saveMaterial, { form, edited }, requestId);
}

export async function deleteMaterial(id: number, requestId?: string): Promise<Answer<{ name: string }>> {
  return runCommand(commands.deleteMaterial, { id }, requestId);
}

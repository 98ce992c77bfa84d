'use server';

import type { Answer, Saved } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import type { Edited } from '@/features/commands/record-id';
import * as commands from './commands';

export async function saveOrder(form: unknown, edited: Edited | null, requestId?: string): Promise<Answer<Saved>> {
  return runCommand(commands.saveOrder, { form, edited }, requestId);
}

export async function copyOrder(id: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.copyOrder, { id }, requestId);
}

export async function deleteOrder(id: number, requestId?: string): Promise<Answer<{ no: number; reopened: string[] }>> {
  return runCommand(commands.deleteOrder, { id }, requestId);
}

export async function restoreOrder(id: number, requestId?: string): Promise<Answer<{ no: number }>> {
  return runCommand(commands.restoreOrder, { id }, requestId);
}

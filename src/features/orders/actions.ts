'use server';

import type { Answer, Saved } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import type { Edited } from '@/features/commands/record-id';
import { askForOrder } from '@/work/lengths-alone';
import * as commands from './commands';

/** Has what a saved order takes by itself found in the background, so that its cost is there when somebody asks. */
async function costedAhead<T extends { id: number }>(answer: Answer<T>): Promise<Answer<T>> {
  if (answer.ok) await askForOrder(answer.value.id).catch((error: unknown) => console.error(error));
  return answer;
}

export async function saveOrder(form: unknown, edited: Edited | null, requestId?: string): Promise<Answer<Saved>> {
  return costedAhead(await runCommand(commands.saveOrder, { form, edited }, requestId));
}

export async function copyOrder(id: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return costedAhead(await runCommand(commands.copyOrder, { id }, requestId));
}

export async function deleteOrder(id: number, requestId?: string): Promise<Answer<{ no: number; reopened: string[] }>> {
  return runCommand(commands.deleteOrder, { id }, requestId);
}

export async function restoreOrder(id: number, requestId?: string): Promise<Answer<{ no: number }>> {
  return runCommand(commands.restoreOrder, { id }, requestId);
}

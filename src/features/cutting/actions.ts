'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';
import type { CutForm } from './form';

export async function closeLay(form: CutForm, requestId?: string): Promise<Answer<{ isBatchCut: boolean }>> {
  return runCommand(commands.closeLay, form, requestId);
}

export async function markCut(batchId: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.markCut, { batchId }, requestId);
}

export async function recutPiece(
  recut: { batchId: number; clothId: number; part: string; itemId: number | null; length: string; why: string },
  requestId?: string,
): Promise<Answer<{ orderId: number | null }>> {
  return runCommand(commands.recutPiece, recut, requestId);
}

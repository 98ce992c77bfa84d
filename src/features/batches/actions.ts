'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';

export async function createBatch(
  input: { name: string; lineIds: number[] },
  requestId?: string,
): Promise<Answer<{ id: number }>> {
  return runCommand(commands.createBatch, input, requestId);
}

export async function removeLine(batchId: number, lineId: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.removeLine, { batchId, lineId }, requestId);
}

export async function makeLays(batchId: number, seconds: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.makeLays, { batchId, seconds }, requestId);
}

export async function stopLays(batchId: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.stopLays, { batchId }, requestId);
}

export async function approveBatch(
  batchId: number,
  version: number,
  requestId?: string,
): Promise<Answer<{ id: number }>> {
  return runCommand(commands.approveBatch, { batchId, version }, requestId);
}

export async function markCut(batchId: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.markCut, { batchId }, requestId);
}

export async function deleteBatch(batchId: number, requestId?: string): Promise<Answer<{ name: string }>> {
  return runCommand(commands.deleteBatch, { batchId }, requestId);
}

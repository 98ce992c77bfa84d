'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import { approveBatch as approveCommand, withdrawApproval as withdrawCommand } from './approval';
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
  return runCommand(approveCommand, { batchId, version }, requestId);
}

export async function withdrawApproval(batchId: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(withdrawCommand, { batchId }, requestId);
}

export async function deleteBatch(batchId: number, requestId?: string): Promise<Answer<{ name: string }>> {
  return runCommand(commands.deleteBatch, { batchId }, requestId);
}

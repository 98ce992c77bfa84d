'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';

export async function beginRun(coverIds: number[], requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.beginRun, { coverIds }, requestId);
}

export async function noteMinutes(
  runId: number,
  minutes: number,
  entry: string,
  requestId?: string,
): Promise<Answer<{ id: number }>> {
  return runCommand(commands.noteMinutes, { runId, minutes, entry }, requestId);
}

export async function endRun(runId: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return runCommand(commands.endRun, { runId }, requestId);
}

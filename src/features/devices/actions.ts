'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';

/** Without a request id, so that the answer with the code is kept nowhere. */
export async function showPairingCode(): Promise<Answer<{ code: string }>> {
  return runCommand(commands.showPairingCode, null);
}

export async function revokeDevice(id: number, requestId?: string): Promise<Answer<{ name: string }>> {
  return runCommand(commands.revokeDevice, { id }, requestId);
}

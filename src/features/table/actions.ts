'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';
import * as ways from './ways';

export async function saveLayByHand(lay: commands.LayByHand, requestId?: string): Promise<Answer<{ version: number }>> {
  return runCommand(commands.saveLayByHand, lay, requestId);
}

export async function keepWays(laid: ways.LaidWays, requestId?: string): Promise<Answer<{ ids: number[] }>> {
  return runCommand(ways.keepWays, laid, requestId);
}

export async function takeWay(
  way: { batchId: number; clothId: number; version: number; wayId: number },
  requestId?: string,
): Promise<Answer<{ id: number }>> {
  return runCommand(ways.takeWay, way, requestId);
}

'use server';

import type { RunLock } from '@/core/schedule';
import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';
import type { PlanOfDay } from './plan-of-day';

export async function saveHours(hours: unknown, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.saveHours, hours, requestId);
}

export async function lockRun(lock: RunLock, requestId?: string): Promise<Answer<{ locks: number }>> {
  return runCommand(commands.lockRun, lock, requestId);
}

export async function setMinutesAside(runId: number, why: string, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.setMinutesAside, { runId, why }, requestId);
}

export async function keepPlan(plan: PlanOfDay, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.keepPlan, plan, requestId);
}

'use server';

import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';
import { findOffers } from './queries';
import type { RecutOffer } from './recut-offers';

export async function chooseRecut(
  choice: { findingId: string; clothId: number; part: string; offer: string },
  requestId?: string,
): Promise<Answer<{ id: number; code: string }>> {
  return runCommand(commands.chooseRecut, choice, requestId);
}

export async function recutIsCut(
  id: number,
  itemId: number | null,
  requestId?: string,
): Promise<Answer<{ isReleased: boolean }>> {
  return runCommand(commands.recutIsCut, { id, itemId }, requestId);
}

/** Where a part can be cut again. */
export async function offersFor(lineId: number, clothId: number, part: string): Promise<RecutOffer[]> {
  return findOffers(lineId, clothId, part);
}

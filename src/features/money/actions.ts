'use server';

import type { QuoteEvent } from '@/core/cost';
import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import * as commands from './commands';
import { makeQuote as makeQuoteOf } from './make-quote';

export async function makeQuote(orderId: number, requestId?: string): Promise<Answer<{ id: number }>> {
  return makeQuoteOf(orderId, requestId);
}

export async function editQuote(
  id: number,
  version: number,
  words: string,
  validUntil: string,
  deposit: string,
  requestId?: string,
): Promise<Answer<{ version: number }>> {
  return runCommand(commands.editQuote, { id, version, words, validUntil, deposit }, requestId);
}

export async function stepQuote(id: number, event: QuoteEvent, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.stepQuote, { id, event }, requestId);
}

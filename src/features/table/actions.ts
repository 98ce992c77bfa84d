'use server';

import { failed, type Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import { print } from '@/features/machines/printer';
import { machinesForm } from '@/features/machines/queries';
import * as commands from './commands';
import { labelsPdf, type LabelChoice } from './labels-pdf';
import { readPrint } from './print-rules';
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

/** Prints the labels of a batch on the workroom's label printer, a page a label of that size (mm). */
export async function printLabels(
  choice: LabelChoice,
  size: { width: number; height: number },
  origin: string,
): Promise<Answer<{ count: number }>> {
  const read = readPrint({ ...choice, size, origin });
  if ('faults' in read) return { ok: false, faults: read.faults };
  const { printer } = await machinesForm();
  if (!printer) return failed('', 'The workroom has no label printer; give its address on the page Workroom.');
  const made = await labelsPdf(choice, size, origin);
  if ('message' in made) return failed('', made.message);
  const refused = await print(printer, made.bytes);
  return refused ? failed('', refused.message, 'printer') : { ok: true, value: { count: made.count } };
}

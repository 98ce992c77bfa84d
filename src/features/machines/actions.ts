'use server';

import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS } from '@/core/batch';
import { and, eq } from 'drizzle-orm';
import { database, schema } from '@/db';
import { failed, type Answer } from '@/features/commands/answer';
import { refusalHere, runCommand } from '@/features/commands/command';
import * as commands from './commands';
import { sendToCutter } from './cutter';
import { stopLastJob } from './cutter-jobs';
import type { MachinesForm } from './form';
import { machinesForm } from './queries';
import { readLayOf } from './rules';
import { fetchPrices } from './supplier';

export async function saveMachines(form: MachinesForm, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.saveMachines, form, requestId);
}

/** Sends an approved lay to the workroom's cutter. */
export async function cutOnCutter(batchId: number, clothId: number): Promise<Answer<{ id: number }>> {
  const read = readLayOf({ batchId, clothId });
  if ('faults' in read) return { ok: false, faults: read.faults };
  const { cutter } = await machinesForm();
  if (!cutter) return failed('', 'The workroom has no cutter; give its address on the page Workroom.');
  const { lays, batches } = schema;
  const [found] = await database()
    .select({
      version: lays.version,
      cloth: lays.cloth,
      cutAt: lays.cutAt,
      batch: batches.name,
      status: batches.status,
    })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(and(eq(lays.batchId, batchId), eq(lays.clothId, clothId)));
  if (!found) return failed('', 'This lay is no longer there.', 'gone');
  if (!canHappen(BATCH_TRANSITIONS, found.status, 'cut') || found.cutAt)
    return failed('', found.cutAt ? 'This lay is cut and closed.' : 'Approve the lays first, then cut.');
  const answer = await sendToCutter(
    cutter,
    batchId,
    clothId,
    `${(found.cloth as { name: string }).name}, ${found.batch}`,
  );
  if ('messages' in answer)
    return { ok: false, faults: answer.messages.map((message) => ({ code: 'cutter', field: '', message })) };
  return runCommand(commands.keepCutterJob, { batchId, clothId, layVersion: found.version, address: cutter, answer });
}

export async function stopOnCutter(batchId: number, clothId: number): Promise<Answer<null>> {
  const read = readLayOf({ batchId, clothId });
  if ('faults' in read) return { ok: false, faults: read.faults };
  const stopped = await stopLastJob(batchId, clothId);
  if (!stopped) return failed('', 'This lay is not at the cutter.');
  return 'message' in stopped ? failed('', stopped.message) : { ok: true, value: null };
}

/** Fetches the supplier's list and turns what is new in it into proposals. */
export async function askForPrices(): Promise<Answer<{ made: number; known: number; asOf: string; supplier: string }>> {
  const refusal = await refusalHere('propose prices');
  if (refusal) return refusal;
  const { supplier } = await machinesForm();
  if (!supplier) return failed('', 'The workroom has no supplier’s list; give its address on the page Workroom.');
  const list = await fetchPrices(supplier);
  if ('message' in list) return failed('', list.message, 'supplier');
  const answer = await runCommand(commands.keepProposals, list);
  return answer.ok ? { ok: true, value: { ...answer.value, asOf: list.asOf, supplier: list.supplier } } : answer;
}

export async function decideProposal(id: number, isTaken: boolean, requestId?: string): Promise<Answer<null>> {
  return runCommand(commands.decideProposal, { id, isTaken }, requestId);
}

import 'server-only';
import { runCommand } from '@/features/commands/command';
import { noteCutterState } from './commands';
import { lookAtCutter, stopCutter, type CutterAnswer } from './cutter';
import { lastCutterJob, toCutterView, type CutterJobRow, type CutterView } from './queries';

/** States of a job that may still change at the cutter. */
const UNDER_WAY = new Set(['waiting', 'cutting']);

/** How a lay stands at the cutter, asked there where that may have changed; null where none was sent. A silent cutter harms nothing. */
export async function cutterView(batchId: number, clothId: number): Promise<CutterView | null> {
  const last = await lastCutterJob(batchId, clothId);
  if (!last) return null;
  const { row, layVersion } = last;
  if (!UNDER_WAY.has(row.state)) return toCutterView(row, layVersion);
  const answer = await lookAtCutter(row.address, row.remoteId);
  if (answer === 'lost')
    return toCutterView(
      await keep(row, {
        state: 'lost',
        progress: row.progress,
        faults: ['The cutter no longer knows this lay; look at its bed, and send it again if it was not cut.'],
      }),
      layVersion,
    );
  if ('message' in answer) return toCutterView(row, layVersion, answer.message);
  return toCutterView(await keep(row, answer), layVersion);
}

/** Asks the cutter to stop the lay that was sent last. */
export async function stopLastJob(batchId: number, clothId: number): Promise<CutterView | { message: string } | null> {
  const last = await lastCutterJob(batchId, clothId);
  if (!last) return null;
  const answer = await stopCutter(last.row.address, last.row.remoteId);
  if ('message' in answer) return { message: `${answer.message} Stop it by hand.` };
  return toCutterView(await keep(last.row, answer), last.layVersion);
}

/** The job as the cutter now says; kept where it is in another state: how far it is changes all the time and is asked there. */
async function keep(
  row: CutterJobRow,
  { state, progress, faults }: Pick<CutterAnswer, 'state' | 'progress' | 'faults'>,
): Promise<CutterJobRow> {
  const now = { ...row, state, progress, faults };
  if (state === row.state && faults.join() === row.faults.join()) return now;
  const kept = await runCommand(noteCutterState, { id: row.id, state, progress, faults });
  return kept.ok ? kept.value : now;
}

import 'server-only';
import { eq } from 'drizzle-orm';
import { database, schema } from '@/db';
import { lookAtCutter, stopCutter, type CutterAnswer } from './cutter';
import { lastCutterJob, toCutterView, type CutterView } from './queries';

/** What may still change at the cutter. */
const UNDER_WAY = new Set(['waiting', 'cutting']);

/** How a lay stands at the cutter, asked there where that may have changed; null where none was sent. A silent cutter harms nothing. */
export async function cutterView(batchId: number, clothId: number): Promise<CutterView | null> {
  const last = await lastCutterJob(batchId, clothId);
  if (!last) return null;
  const { row, layVersion } = last;
  if (!UNDER_WAY.has(row.state)) return toCutterView(row, layVersion);
  const answer = await lookAtCutter(row.address, row.remoteId);
  if (answer === 'lost') return toCutterView(await keep(row.id, { state: 'lost', faults: ['The cutter no longer knows this lay; look at its bed, and send it again if it was not cut.'] }), layVersion); // prettier-ignore
  if ('message' in answer) return toCutterView(row, layVersion, answer.message);
  return toCutterView(await keep(row.id, stateOf(answer)), layVersion);
}

/** Asks the cutter to stop the lay that was sent last. */
export async function stopLastJob(batchId: number, clothId: number): Promise<CutterView | { message: string } | null> {
  const last = await lastCutterJob(batchId, clothId);
  if (!last) return null;
  const answer = await stopCutter(last.row.address, last.row.remoteId);
  if ('message' in answer) return { message: `${answer.message} Stop it by hand.` };
  return toCutterView(await keep(last.row.id, stateOf(answer)), last.layVersion);
}

const stateOf = ({ state, progress, faults }: CutterAnswer) => ({ state, progress, faults });

async function keep(id: number, set: Partial<typeof schema.cutterJobs.$inferInsert>) {
  const { cutterJobs } = schema;
  const [row] = await database().update(cutterJobs).set({ ...set, updatedAt: new Date() }).where(eq(cutterJobs.id, id)).returning(); // prettier-ignore
  return row!;
}

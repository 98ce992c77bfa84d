import type { DayJob, DayRun } from './day-job';
import { laterThan, type Ready } from './promise';
import { planRoom, type PlannedRoom } from './offer';
import { CUT_MINUTES } from './line-work';
import { runIdOf } from './room-job';

/**
 * The room with some waiting lines cut in one run: one setting up of the table for all, and none of them before the cloth of each is there. Lines
 * that are not in the room, or not cut by themselves, are left as they are.
 */
export function cutTogether(job: DayJob, lineIds: readonly number[], sharePercent: number): DayJob {
  const ids = new Set(lineIds.map((id) => runIdOf(id, 'cut')));
  const own = job.runs.filter(({ id }) => ids.has(id));
  if (own.length < 2) return job;
  const dueOf = new Map(job.orders.map(({ id, due }) => [id, due]));
  const first = own.reduce((a, b) => (dueOf.get(b.order)! < dueOf.get(a.order)! ? b : a));
  const spared = Math.round((CUT_MINUTES.lay * (own.length - 1) * 100) / sharePercent);
  const begins = own.flatMap(({ earliest }) => earliest ?? []);
  const one: DayRun = {
    ...first,
    minutes: Math.max(1, own.reduce((sum, { minutes }) => sum + minutes, 0) - spared),
    earliest: begins.length > 0 ? Math.max(...begins) : null,
  };
  return {
    ...job,
    runs: job.runs.flatMap((run) => {
      if (run === first) return [one];
      if (ids.has(run.id)) return [];
      return [{ ...run, after: [...new Set(run.after.map((id) => (ids.has(id) ? first.id : id)))] }];
    }),
  };
}

/** Orders that become late, or later, when some waiting lines are cut in one run. */
export function lateByTogether(
  room: PlannedRoom,
  lineIds: readonly number[],
  { sharePercent, effort }: { sharePercent: number; effort: number },
): { orderId: string; late: number }[] {
  const job = cutTogether(room.job, lineIds, sharePercent);
  if (job === room.job) return [];
  const ready: Ready[] = planRoom(job, effort).ready;
  return laterThan(room.ready, ready);
}

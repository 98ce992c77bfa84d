import { learnMinutes, type Estimate } from '@/core/schedule';
import type { Reader } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { loadHours } from '@/records/hours';
import { countedCases, loadSewingLog } from './minutes-log';

/** A kind with the estimate of its next cover and the runs that it rests on. */
export interface KindMinutes {
  kind: string;
  name: string;
  /** Minutes of one cover by the workroom's list; null: it says nothing. */
  listed: number | null;
  estimate: Estimate;
  /** The cover that the estimate is for: its seams and options as in the newest run. */
  usual: string;
  cases: {
    runId: number;
    day: string;
    orderNo: string;
    person: string | null;
    covers: number;
    each: number;
    expected: number;
    setAside: string;
    isOutlier: boolean;
  }[];
}

/** Everything that is known of the minutes of each kind that was sewn, the newest runs first. */
export async function loadMinutes(db: Reader): Promise<KindMinutes[]> {
  const log = await loadSewingLog(db);
  const { hasNames } = await loadHours(db);
  const counted = countedCases(log);
  const learned = learnMinutes(counted);
  const outliers = new Set(learned.outliers.map((i) => counted.cases[i]!.runId));
  const book = await loadKindBook(db);
  const kinds = [...new Set(log.cases.map(({ kind }) => kind))].sort();
  return kinds.map((kind): KindMinutes => {
    const own = log.cases.filter((one) => one.kind === kind).sort((a, b) => b.runId - a.runId);
    const newest = own[0]!;
    const options = newest.options.length > 0 ? ` with ${newest.options.join(', ')}` : '';
    return {
      kind,
      name: book.find(kind)?.name ?? kind,
      listed: log.list.find((one) => one.kind === kind)?.each ?? null,
      estimate: learned.estimate({ ...newest, covers: 1, person: null }),
      usual: `${newest.seam.toFixed(1)} m of seam${options}`,
      cases: own.map((one) => ({
        runId: one.runId,
        day: one.day,
        orderNo: one.orderNo,
        person: hasNames ? one.person : null,
        covers: one.covers,
        each: Math.round(one.minutes / one.covers),
        expected: Math.round(learned.estimate(one).minutes / one.covers),
        setAside: one.setAside,
        isOutlier: outliers.has(one.runId),
      })),
    };
  });
}

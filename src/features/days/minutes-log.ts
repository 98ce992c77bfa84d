import { desc, inArray, isNotNull, sql, eq } from 'drizzle-orm';
import { readCosting } from '@/core/cost/costing-form';
import { learnMinutes, lineWork, type ListedKind, type LoggedCase, type MinutesModel } from '@/core/schedule';
import { schema, type Reader } from '@/db';
import { loadRunMinutes } from '@/features/sewing/load-run';
import { loadCosting } from '@/records/costing';
import { loadCutLists } from '@/records/cut-lists';

/** Runs from which minutes are learned, the newest. */
const MOST_CASES = 400;
/** Minutes of setting a run up, where nobody has noted any. From memory. */
const USUAL_SETUP = 10;

/** A case of the log with the run that it comes from. */
export interface SewnCase extends LoggedCase {
  runId: number;
  /** The day on which it ended, like 2026-12-04. */
  day: string;
  orderNo: string;
  /** The reason for which it was set aside by hand; empty where it counts. */
  setAside: string;
}

/** The workroom's own list, and what sewing took, run by run. */
export interface SewingLog {
  list: ListedKind[];
  cases: SewnCase[];
}

/** Reads what sewing took: the newest runs that have ended, each with its covers, seams and person. */
export async function loadSewingLog(db: Reader): Promise<SewingLog> {
  const { covers, runs, runCovers, people } = schema;
  const costing = readCosting(await loadCosting(db)).value.costing;
  const list = Object.entries(costing.minutes).map(([kind, each]) => ({ kind, setup: USUAL_SETUP, each }));
  const ended = await db
    .select({ id: runs.id, endedAt: runs.endedAt, setAside: runs.setAside })
    .from(runs)
    .where(isNotNull(runs.endedAt))
    .orderBy(desc(runs.id))
    .limit(MOST_CASES);
  const runIds = ended.map(({ id }) => id);
  if (runIds.length === 0) return { list, cases: [] };
  const minutes = await loadRunMinutes(db, runIds);
  const of = await db
    .select({ runId: runCovers.runId, lineId: covers.lineId, count: sql<number>`count(*)::int` })
    .from(runCovers)
    .innerJoin(covers, eq(covers.id, runCovers.coverId))
    .where(inArray(runCovers.runId, runIds))
    .groupBy(runCovers.runId, covers.lineId);
  const lineIds = [...new Set(of.map(({ lineId }) => lineId))];
  const lists = await loadCutLists(db, inArray(schema.orderLines.id, lineIds)).catch(() => null);
  const names = new Map(
    (await db.select({ id: people.id, name: people.name }).from(people)).map((one) => [one.id, one.name]),
  );
  const cases = minutes.flatMap(({ runId, personId, minutes: took }): SewnCase[] => {
    const own = of.filter((one) => one.runId === runId);
    const order = lists?.orders.find(({ lines }) => lines.some(({ id }) => id === own[0]?.lineId));
    const line = order?.lines.find(({ id }) => id === own[0]!.lineId);
    const run = ended.find(({ id }) => id === runId)!;
    const count = own.reduce((sum, one) => sum + one.count, 0);
    const found =
      order && line && lineWork(lists!.kinds.find(line.kind, line.kindVersion), line.line, order.units, count);
    if (!found) return [];
    return [
      {
        ...found.work,
        person: names.get(personId ?? -1) ?? null,
        setup: 0,
        minutes: took,
        runId,
        day: run.endedAt!.toISOString().slice(0, 10),
        orderNo: order.orderNo,
        setAside: run.setAside,
      },
    ];
  });
  return { list, cases };
}

/** The cases that count: those that nobody has set aside. */
export const countedCases = ({ list, cases }: SewingLog): SewingLog => ({
  list,
  cases: cases.filter(({ setAside }) => setAside === ''),
});

/** Learns what sewing takes, from the workroom's own list and the runs that were sewn. */
export const learnFromRuns = async (db: Reader): Promise<MinutesModel> =>
  learnMinutes(countedCases(await loadSewingLog(db)));

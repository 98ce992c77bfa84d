import 'server-only';
import { asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { slipsText } from '@/core/making';
import type { CoverStep, TakeOff } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import { database, schema } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { loadKnownSlips } from '@/records/findings';
import { LayFailure } from '@/records/cut-lists';
import { loadLineSteps, loadRunState } from './load-run';
import type { RunState } from './run-entries';

/** A cover of a run. */
export interface RunCover {
  id: number;
  number: number;
  orderNo: number;
  mark: number;
  kind: string;
  state: string;
}

/** A run as a tablet shows it. */
export interface RunView {
  id: number;
  covers: RunCover[];
  steps: CoverStep[];
  units: OrderUnits;
  cover: Pick<TakeOff, 'pieces' | 'marks'> | null;
  cloths: { id: number; name: string }[];
  state: RunState;
  /** Slips that come again and again on this kind. */
  slips: string;
}

/** A run; null where there is none. */
export async function getRun(id: number): Promise<RunView | null> {
  const db = database();
  const [run] = await db.select().from(schema.runs).where(eq(schema.runs.id, id));
  if (!run) return null;
  const covers = await coversOfRuns([id]);
  const lineIds = [...new Set(covers.map(({ lineId }) => lineId))];
  const [line] = (await loadLineSteps(db, lineIds.slice(0, 1))).values();
  if (!line) return null;
  return {
    id,
    covers: covers.map(({ runId: _, lineId: __, ...cover }) => cover),
    steps: line.steps,
    units: line.units,
    cover: line.cover,
    cloths: line.cloths,
    state: await loadRunState(db, id, run.endedAt),
    slips: slipsText(await loadKnownSlips(db), line.kind),
  };
}

/** How a run stands, for devices that look again; null where there is none. */
export async function getRunState(id: number): Promise<RunState | null> {
  const [run] = await database().select().from(schema.runs).where(eq(schema.runs.id, id));
  return run ? loadRunState(database(), id, run.endedAt) : null;
}

async function coversOfRuns(ids: readonly number[]): Promise<(RunCover & { runId: number; lineId: number })[]> {
  if (ids.length === 0) return [];
  const db = database();
  const { covers, orderLines, orders, runCovers } = schema;
  const [rows, kinds] = await Promise.all([
    db
      .select({ runId: runCovers.runId, cover: covers, line: orderLines, no: orders.no, mark: orders.mark })
      .from(runCovers)
      .innerJoin(covers, eq(covers.id, runCovers.coverId))
      .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
      .innerJoin(orders, eq(orders.id, orderLines.orderId))
      .where(inArray(runCovers.runId, [...ids]))
      .orderBy(asc(orders.no), asc(orderLines.position), asc(covers.number)),
    loadKindBook(db),
  ]);
  return rows.map(({ runId, cover, line, no, mark }) => ({
    runId,
    lineId: line.id,
    id: cover.id,
    number: cover.number,
    orderNo: no,
    mark,
    kind: kinds.find(line.kind, line.kindVersion)?.name ?? line.kind,
    state: cover.state,
  }));
}

/** Runs that go on, and what could be begun: lines whose cut covers are sewn alike, together. */
export interface SewingView {
  going: { id: number; by: string; covers: RunCover[] }[];
  ready: {
    key: string;
    coverIds: number[];
    lines: { orderNo: number; mark: number; kind: string; count: number; due: string }[];
  }[];
  /** A sentence for each line that can't be sewn as it is. */
  faults: string[];
}

/** Most lines of which is worked out how they are sewn: those that are due first. */
const MOST_LINES = 60;

export async function getSewing(): Promise<SewingView> {
  const db = database();
  const { covers, orderLines, orders, people, runs } = schema;
  const [open, cut, kinds] = await Promise.all([
    db
      .select({ id: runs.id, by: people.name })
      .from(runs)
      .leftJoin(people, eq(people.id, runs.personId))
      .where(isNull(runs.endedAt))
      .orderBy(asc(runs.id)),
    db
      .select({
        lineId: covers.lineId,
        ids: sql<number[]>`array_agg(${covers.id} ORDER BY ${covers.number})`,
        no: orders.no,
        mark: orders.mark,
        due: orders.due,
        kind: orderLines.kind,
        kindVersion: orderLines.kindVersion,
      })
      .from(covers)
      .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
      .innerJoin(orders, eq(orders.id, orderLines.orderId))
      .where(sql`${covers.state} = 'cut' AND ${covers.hold} IS NULL AND ${orders.deletedAt} IS NULL`)
      .groupBy(
        covers.lineId,
        orders.no,
        orders.mark,
        orders.due,
        orderLines.kind,
        orderLines.kindVersion,
        orderLines.position,
      )
      .orderBy(orders.due, orders.no, orderLines.position)
      .limit(MOST_LINES),
    loadKindBook(db),
  ]);
  const going = await coversOfRuns(open.map(({ id }) => id));
  const faults: string[] = [];
  const steps = await loadLineSteps(
    db,
    cut.map(({ lineId }) => lineId),
  ).catch((error: unknown) => {
    if (!(error instanceof LayFailure)) throw error;
    faults.push(error.message);
    return new Map<number, { alike: string }>();
  });
  const ready = new Map<string, SewingView['ready'][number]>();
  for (const { lineId, ids, no, mark, due, kind, kindVersion } of cut) {
    const key = steps.get(lineId)?.alike ?? `line ${lineId}`;
    const group = ready.get(key) ?? { key, coverIds: [], lines: [] };
    group.coverIds.push(...ids);
    group.lines.push({ orderNo: no, mark, kind: kinds.find(kind, kindVersion)?.name ?? kind, count: ids.length, due });
    ready.set(key, group);
  }
  return {
    going: open.map(({ id, by }) => ({
      id,
      by: by ?? '',
      covers: going.filter(({ runId }) => runId === id).map(({ runId: _, lineId: __, ...cover }) => cover),
    })),
    ready: [...ready.values()],
    faults,
  };
}

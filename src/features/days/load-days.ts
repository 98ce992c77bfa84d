import { format } from 'date-fns';
import { asc, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import { takeOff, type KindBook } from '@/core/covers';
import { readCosting } from '@/core/cost/costing-form';
import { NM } from '@/core/length';
import {
  cutRunOf,
  endOfDay,
  learnMinutes,
  minuteOf,
  roomJob,
  runIdOf,
  seamMetres,
  usualHours,
  WORKS,
  type DayJob,
  type LoggedCase,
  type MinutesModel,
  type OpenBatch,
  type OpenLine,
  type RoomHours,
  type RunLock,
  type Work,
  type WorkSort,
} from '@/core/schedule';
import { schema, type Reader } from '@/db';
import { loadRunMinutes } from '@/features/sewing/load-run';
import { loadCosting } from '@/records/costing';
import { loadCutLists, type CutLists, type OrderToCut } from '@/records/cut-lists';
import { loadHours, loadLocks } from './hours';

/** Words for a run of the plan. */
export interface RunWords {
  id: string;
  does: WorkSort;
  orderId: number;
  orderNo: number;
  mark: number;
  what: string;
  /** Page on which it is done. */
  href: string;
  isLocked: boolean;
}

export interface DaysView {
  job: DayJob;
  runs: RunWords[];
  orders: { id: number; no: number; mark: number; customer: string; due: string }[];
  people: { id: number; name: string; initials: string; colour: number }[];
  locks: RunLock[];
  hours: RoomHours;
  /** Lines that nothing is planned of, and why. */
  waiting: { orderNo: number; what: string; why: string }[];
}

/** The plan looks so far ahead. */
const DAYS_AHEAD = 56;
/** Lines that are planned, those that are due first. */
const MOST_LINES = 400;
/** Runs from which minutes are learned, the newest. */
const MOST_CASES = 400;
/** Minutes of cutting a lay: for each length of it, each metre, and each piece. From memory. */
const CUT = { lay: 10, metre: 3, piece: 0.8 };
/** Minutes of setting a run up, where nobody has noted any. From memory. */
const USUAL_SETUP = 10;

type LineRow = {
  id: number;
  order_id: number;
  batch_id: number | null;
  status: string | null;
  kind: string;
  qty: number;
  covers: number;
  to_cut: number;
  to_sew: number;
  to_check: number;
  held: number;
  hold: string | null;
};

/** Open work of the room as a day job, with the words that go with it. */
// eslint-disable-next-line max-lines-per-function -- one read of the room after the other, then their sum
export async function loadDays(db: Reader, now = new Date()): Promise<DaysView> {
  const { people: staff, orders, customers } = schema;
  const rows = await openRows(db);
  const ids = rows.map(({ id }) => id);
  const lists = await loadCutLists(db, inArray(schema.orderLines.id, ids)).catch(() => null);
  const learned = await learnFromRuns(db);
  const [hours, locks, team, named, batches] = [
    await loadHours(db),
    await loadLocks(db),
    await db
      .select()
      .from(staff)
      .where(sql`${staff.leftAt} IS NULL`)
      .orderBy(asc(staff.name)),
    await db
      .select({ id: orders.id, no: orders.no, mark: orders.mark, due: orders.due, customer: customers.name })
      .from(orders)
      .innerJoin(customers, eq(customers.id, orders.customerId))
      .where(inArray(orders.id, [...new Set(rows.map((row) => row.order_id))])),
    await openBatches(db),
  ];
  const orderOf = new Map(named.map((one) => [one.id, one]));
  const lines: OpenLine[] = [];
  const words: RunWords[] = [];
  const waiting: DaysView['waiting'] = [];
  for (const row of rows) {
    const order = orderOf.get(row.order_id)!;
    const one = lists && lineOf(row, order, lists, learned);
    if (!one) {
      waiting.push({ orderNo: order.no, what: row.kind, why: 'It can’t be cut as it is.' });
      continue;
    }
    if (row.held > 0) waiting.push({ orderNo: order.no, what: `${row.held} × ${one.kind}`, why: `Held: ${row.hold}.` });
    lines.push(one.line);
    const { toCut, toSew, toCheck } = one.line;
    for (const does of WORKS)
      words.push({
        id: runIdOf(row.id, does),
        does,
        orderId: order.id,
        orderNo: order.no,
        mark: order.mark,
        what: `${does === 'check' ? toCut + toSew + toCheck : toCut + toSew} × ${one.kind}`,
        href: does === 'check' ? `/checking/${row.id}` : does === 'sew' ? '/sewing' : `/orders/${order.id}`,
        isLocked: locks.some(({ runId }) => runId === runIdOf(row.id, does)),
      });
  }
  const at = minuteOf(format(now, "yyyy-MM-dd'T'HH:mm"))!;
  const job = roomJob({
    now: at,
    days: DAYS_AHEAD,
    hours,
    people: team.map(({ id }) => hours.people.find(({ personId }) => personId === id) ?? usualHours(id)),
    lines,
    batches,
    locks: locks.filter(({ personId }) => personId === null || team.some(({ id }) => id === personId)),
  });
  for (const { batchId, name } of batches) {
    const run = job.runs.find(({ id }) => id === cutRunOf(batchId));
    const order = run && orderOf.get(Number(run.order));
    if (!order) continue;
    words.push({
      id: run.id,
      does: 'cut',
      orderId: order.id,
      orderNo: order.no,
      mark: order.mark,
      what: `“${name}”`,
      href: `/batches/${batchId}`,
      isLocked: locks.some(({ runId }) => runId === run.id),
    });
  }
  const planned = new Set(job.runs.map(({ id }) => id));
  return {
    job,
    runs: words.filter(({ id }) => planned.has(id)),
    orders: named,
    people: team.map(({ id, name, initials, colour }) => ({ id, name, initials, colour })),
    locks,
    hours,
    waiting,
  };
}

/** Lines of orders with covers that have not left, what is due first at the head. */
async function openRows(db: Reader): Promise<LineRow[]> {
  const { rows } = await db.execute<LineRow>(sql`
    SELECT l.id, l.order_id, l.batch_id, b.status, l.kind, l.qty, c.covers, c.to_cut, c.to_sew, c.to_check, c.held, c.hold
    FROM order_lines l JOIN orders o ON o.id = l.order_id LEFT JOIN batches b ON b.id = l.batch_id
    CROSS JOIN LATERAL (
      SELECT count(*)::int AS covers, count(*) FILTER (WHERE state = 'to cut' AND hold IS NULL)::int AS to_cut,
        count(*) FILTER (WHERE state IN ('cut', 'in sewing', 'to mend') AND hold IS NULL)::int AS to_sew,
        count(*) FILTER (WHERE state IN ('to check', 'checked') AND hold IS NULL)::int AS to_check,
        count(*) FILTER (WHERE hold IS NOT NULL AND state <> 'handed over')::int AS held, min(hold) AS hold
      FROM covers WHERE line_id = l.id) c
    WHERE o.deleted_at IS NULL AND o.status <> 'handed over'
      AND (c.covers = 0 OR c.to_cut + c.to_sew + c.to_check + c.held > 0)
    ORDER BY o.due, o.no, l.position LIMIT ${MOST_LINES}`);
  return rows;
}

/** A line as the plan needs it, with its kind's name; null where it can't be cut as it is. */
function lineOf(
  row: LineRow,
  { due }: { due: string },
  { orders, kinds }: CutLists,
  learned: MinutesModel,
): { kind: string; line: OpenLine } | null {
  const found = orders.find(({ orderId }) => orderId === row.order_id);
  const line = found?.lines.find(({ id }) => id === row.id);
  const kind = line && kinds.find(line.kind, line.kindVersion);
  if (!found || !line || !kind) return null;
  // A line without covers waits for its batch: all of it is still to come.
  const [toCut, toSew, toCheck] = row.covers === 0 ? [row.qty, 0, 0] : [row.to_cut, row.to_sew, row.to_check];
  const covers = Math.max(1, toCut + toSew);
  const work = workOf(kinds, found, line, covers);
  const pieces = found.cutList.pieces.filter((piece) => piece.line === String(line.position));
  return {
    kind: kind.name,
    line: {
      lineId: row.id,
      orderId: row.order_id,
      due: endOfDay(due)!,
      toCut,
      toSew,
      toCheck,
      batchId: row.batch_id,
      setting: `${row.kind} ${line.line.cloth.face ?? ''}`,
      sewing: learned.estimate(work ?? { kind: row.kind, options: [], seam: 1, person: null, covers }),
      cutMinutes: CUT.lay + CUT.piece * pieces.reduce((sum, { qty }) => sum + qty, 0),
      held: toCut + toSew + toCheck === 0 ? (row.hold ?? '') : '',
    },
  };
}

/** The sewing of some covers of a line as an estimate asks for it. */
function workOf(
  kinds: KindBook,
  { units }: OrderToCut,
  { kind, kindVersion, line }: OrderToCut['lines'][number],
  covers: number,
): Work | null {
  const known = kinds.find(kind, kindVersion);
  const made = known && takeOff(known, { ...line, units });
  if (!made?.ok || covers === 0) return null;
  const { piping, tufts } = line.options;
  return {
    kind,
    options: [
      ...(piping !== undefined && piping !== 'none' ? ['piping'] : []),
      ...(tufts !== undefined && tufts !== 'none' ? ['tufts'] : []),
      ...(line.matching !== 'none' ? ['matched'] : []),
    ],
    seam: seamMetres(made.value),
    person: null,
    covers,
  };
}

/** Batches that are laid or approved and not cut, with the minutes that their lays take. */
async function openBatches(db: Reader): Promise<(OpenBatch & { name: string })[]> {
  const { batches, lays } = schema;
  const rows = await db
    .select({ id: batches.id, name: batches.name, usedNm: lays.usedNm })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(sql`${lays.cutAt} IS NULL AND ${batches.status} IN ('laid', 'approved')`);
  const found = new Map<number, OpenBatch & { name: string }>();
  for (const { id, name, usedNm } of rows) {
    const one = found.get(id) ?? { batchId: id, name, minutes: 0 };
    one.minutes += CUT.lay + (CUT.metre * usedNm) / NM.m;
    found.set(id, one);
  }
  return [...found.values()].map((one) => ({ ...one, minutes: Math.round(one.minutes) }));
}

/** What sewing takes, by the workroom's own list and the runs that were sewn. */
export async function learnFromRuns(db: Reader): Promise<MinutesModel> {
  const { covers, runs, runCovers, people } = schema;
  const costing = readCosting(await loadCosting(db)).value.costing;
  const ended = await db
    .select({ id: runs.id })
    .from(runs)
    .where(isNotNull(runs.endedAt))
    .orderBy(desc(runs.id))
    .limit(MOST_CASES);
  const runIds = ended.map(({ id }) => id);
  const list = Object.entries(costing.minutes).map(([kind, each]) => ({ kind, setup: USUAL_SETUP, each }));
  if (runIds.length === 0) return learnMinutes({ list, cases: [] });
  const minutes = await loadRunMinutes(db, runIds);
  const of = await db
    .select({ runId: runCovers.runId, lineId: covers.lineId, count: sql<number>`count(*)::int` })
    .from(runCovers)
    .innerJoin(covers, eq(covers.id, runCovers.coverId))
    .where(inArray(runCovers.runId, runIds))
    .groupBy(runCovers.runId, covers.lineId);
  const lists = await loadCutLists(
    db,
    inArray(
      schema.orderLines.id,
      of.map(({ lineId }) => lineId),
    ),
  ).catch(() => null);
  const names = new Map(
    (await db.select({ id: people.id, name: people.name }).from(people)).map((one) => [one.id, one.name]),
  );
  const cases = minutes.flatMap(({ runId, personId, minutes: took }): LoggedCase[] => {
    const own = of.filter((one) => one.runId === runId);
    const order = lists?.orders.find(({ lines }) => lines.some(({ id }) => id === own[0]?.lineId));
    const line = order?.lines.find(({ id }) => id === own[0]!.lineId);
    const count = own.reduce((sum, one) => sum + one.count, 0);
    const work = order && line ? workOf(lists!.kinds, order, line, count) : null;
    return work ? [{ ...work, person: names.get(personId ?? -1) ?? null, setup: 0, minutes: took }] : [];
  });
  return learnMinutes({ list, cases });
}

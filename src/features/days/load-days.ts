import { format } from 'date-fns';
import { asc, eq, inArray, sql } from 'drizzle-orm';
import { isCut, isFrozen, type BatchState } from '@/core/batch';
import { NM } from '@/core/length';
import {
  CUT_MINUTES,
  cutMinutesOf,
  cutRunOf,
  endOfDay,
  learnMinutes,
  lineWork,
  minuteOf,
  roomJob,
  roughNeeds,
  runIdOf,
  settingOf,
  takeCloth,
  takeNotions,
  usualHours,
  waitsOfLines,
  WORKS,
  type DayJob,
  type MinutesModel,
  type NotBefore,
  type OpenBatch,
  type OpenLine,
  type RoomHours,
  type RunLock,
  type ShelfCloth,
  type ShelfNotion,
  type WorkSort,
} from '@/core/schedule';
import { schema, type Reader } from '@/db';
import { loadCutLists, type CutLists } from '@/records/cut-lists';
import { loadHours } from '@/records/hours';
import { loadLocks } from './hours';
import { countedCases, loadSewingLog, type SewingLog } from './minutes-log';
import { loadKeptPlans, type KeptPlans } from './plan-of-day';
import { loadNotionShelf, loadShelf } from './shelf';

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
  /** Covers that it is about; 0 for a batch. */
  covers: number;
  /** Cutting of a batch that still takes lines, or of a line that is in none. */
  cuts?: 'open batch' | 'loose line';
  /** Time before which it is not begun, beside what was put there by hand. */
  waits: NotBefore | null;
}

export interface DaysView {
  job: DayJob;
  runs: RunWords[];
  orders: { id: number; no: number; mark: number; customer: string; due: string }[];
  people: { id: number; name: string; initials: string; colour: number }[];
  locks: RunLock[];
  hours: RoomHours;
  /** Plans of the days before, for what has changed. */
  kept: KeptPlans;
  /** Lines that nothing is planned of, and why. */
  waiting: { orderNo: number; what: string; why: string }[];
}

/** The view, and beside it what an answer to “when can she have it” rests on. */
interface LoadedDays {
  view: DaysView;
  log: SewingLog;
  /** Rests of the cloths once all open orders are cut, by id. */
  shelf: [string, ShelfCloth][];
  /** Rests of the notions, likewise. */
  notions: ShelfNotion[];
  /** Lines of the order that is left out of the job, as the plan needs them. */
  asked: OpenLine[];
}

/** The plan looks so far ahead. */
const DAYS_AHEAD = 56;
/** Lines that are planned, those that are due first. */
const MOST_LINES = 400;

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

/** Open work of the room as a day job, with the words that go with it; `without`: an order that is left out, its lines apart. */
// eslint-disable-next-line max-lines-per-function -- one read of the room after the other, then their sum
export async function loadDays(
  db: Reader,
  { now = new Date(), without }: { now?: Date; without?: number | undefined } = {},
): Promise<LoadedDays> {
  const { people: staff, orders, customers } = schema;
  const at = minuteOf(format(now, "yyyy-MM-dd'T'HH:mm"))!;
  const rows = await openRows(db);
  const ids = rows.map(({ id }) => id);
  const lists = await loadCutLists(db, inArray(schema.orderLines.id, ids)).catch(() => null);
  const log = await loadSewingLog(db);
  const learned = learnMinutes(countedCases(log));
  const shelf = await loadShelf(db);
  const notions = await loadNotionShelf(db);
  const [hours, locks, team, named, laid] = [
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
  const asked: OpenLine[] = [];
  const notBeforeOf = (cloths: ReadonlyMap<string, number>, from = shelf): NotBefore | null =>
    takeCloth(from, cloths, at, hours.clothDays);
  // The order that is left out takes what it needs off a copy: whoever asks about it takes that off again.
  let own: { cloths: typeof shelf; notions: typeof notions } | null = null;
  const batches = laid.map((one): LaidBatch => ({ ...one, notBefore: notBeforeOf(one.needs) }));
  for (const row of rows) {
    const order = orderOf.get(row.order_id)!;
    const from =
      row.order_id === without
        ? (own ??= { cloths: new Map(shelf), notions: new Map(notions) })
        : { cloths: shelf, notions };
    const one =
      lists &&
      lineOf(row, order, lists, learned, {
        // Cloth of a batch that is laid is counted with the batch.
        cloth: (pieces) =>
          laid.some(({ batchId }) => batchId === row.batch_id)
            ? null
            : notBeforeOf(
                roughNeeds(pieces, (cloth) => shelf.get(cloth)?.usable),
                from.cloths,
              ),
        // Notions leave the shelf when their batch is cut.
        notions: (needs) =>
          row.status !== null && isCut(row.status) ? null : takeNotions(from.notions, needs, at, hours.clothDays),
      });
    if (!one) {
      waiting.push({ orderNo: order.no, what: row.kind, why: 'It can’t be cut as it is.' });
      continue;
    }
    if (row.held > 0) waiting.push({ orderNo: order.no, what: `${row.held} × ${one.kind}`, why: `Held: ${row.hold}.` });
    if (row.order_id === without) {
      asked.push(one.line);
      continue;
    }
    lines.push(one.line);
    const { toCut, toSew, toCheck } = one.line;
    const waits = waitsOfLines([one.line]);
    for (const does of WORKS) {
      const covers = does === 'check' ? toCut + toSew + toCheck : toCut + toSew;
      words.push({
        id: runIdOf(row.id, does),
        does,
        orderId: order.id,
        orderNo: order.no,
        mark: order.mark,
        what: `${covers} × ${one.kind}`,
        covers,
        ...(does === 'cut' && row.batch_id === null && { cuts: 'loose line' as const }),
        href: does === 'check' ? `/checking/${row.id}` : does === 'sew' ? '/sewing' : `/orders/${order.id}`,
        isLocked: locks.some(({ runId }) => runId === runIdOf(row.id, does)),
        waits: waits.get(runIdOf(row.id, does)) ?? null,
      });
    }
  }
  const job = roomJob({
    now: at,
    days: DAYS_AHEAD,
    hours,
    people: team.map(({ id }) => hours.people.find(({ personId }) => personId === id) ?? usualHours(id)),
    lines,
    batches,
    locks: locks.filter(({ personId }) => personId === null || team.some(({ id }) => id === personId)),
  });
  for (const { batchId, name, status, notBefore } of batches) {
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
      covers: 0,
      ...(!isFrozen({ status }) && { cuts: 'open batch' as const }),
      href: `/batches/${batchId}`,
      isLocked: locks.some(({ runId }) => runId === run.id),
      waits: notBefore,
    });
  }
  const planned = new Set(job.runs.map(({ id }) => id));
  const view: DaysView = {
    job,
    runs: words.filter(({ id }) => planned.has(id)),
    orders: named,
    people: team.map(({ id, name, initials, colour }) => ({ id, name, initials, colour })),
    locks,
    hours,
    kept: await loadKeptPlans(db),
    waiting,
  };
  return { view, shelf: [...shelf], notions: [...notions.values()], asked, log };
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
  waitOf: {
    cloth: (pieces: CutLists['orders'][number]['cutList']['pieces']) => NotBefore | null;
    notions: (needs: CutLists['orders'][number]['cutList']['notions']) => NotBefore | null;
  },
): { kind: string; line: OpenLine } | null {
  const found = orders.find(({ orderId }) => orderId === row.order_id);
  const line = found?.lines.find(({ id }) => id === row.id);
  const kind = line && kinds.find(line.kind, line.kindVersion);
  if (!found || !line || !kind) return null;
  // A line without covers waits for its batch: all of it is still to come.
  const [toCut, toSew, toCheck] = row.covers === 0 ? [row.qty, 0, 0] : [row.to_cut, row.to_sew, row.to_check];
  const covers = Math.max(1, toCut + toSew);
  const made = lineWork(kind, line.line, found.units, covers);
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
      setting: settingOf(line.line),
      sewing: learned.estimate(made?.work ?? { kind: row.kind, options: [], seam: 1, person: null, covers }),
      cutMinutes: cutMinutesOf(pieces),
      held: toCut + toSew + toCheck === 0 ? (row.hold ?? '') : '',
      notBefore: toCut > 0 ? waitOf.cloth(pieces) : null,
      sewNotBefore:
        toCut > 0 ? waitOf.notions(found.cutList.notions.filter((need) => need.line === String(line.position))) : null,
      dries: made?.dries ?? 0,
    },
  };
}

interface LaidBatch extends OpenBatch {
  name: string;
  status: BatchState;
}

type LaidWithNeeds = Omit<LaidBatch, 'notBefore'> & { needs: Map<string, number> };

/** Batches that are laid or approved and not cut, with the minutes that their lays take and the cloth that is not reserved for them. */
async function openBatches(db: Reader): Promise<LaidWithNeeds[]> {
  const { batches, lays } = schema;
  const rows = await db
    .select({
      id: batches.id,
      name: batches.name,
      status: batches.status,
      clothId: lays.clothId,
      usedNm: lays.usedNm,
      stock: lays.stock,
    })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(sql`${lays.cutAt} IS NULL AND ${batches.status} IN ('laid', 'approved')`)
    .orderBy(asc(batches.id));
  const found = new Map<number, LaidWithNeeds>();
  for (const { id, name, status, clothId, usedNm, stock } of rows) {
    const one = found.get(id) ?? { batchId: id, name, status, minutes: 0, needs: new Map<string, number>() };
    one.minutes += CUT_MINUTES.lay + (CUT_MINUTES.metre * usedNm) / NM.m;
    // An approved lay has reserved what there was of it.
    one.needs.set(
      String(clothId),
      stock.uses.reduce((sum, { used, short }) => sum + short + (isFrozen({ status }) ? 0 : used), 0),
    );
    found.set(id, one);
  }
  return [...found.values()].map((one) => ({ ...one, minutes: Math.round(one.minutes) }));
}

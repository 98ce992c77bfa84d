import { randomUUID } from 'node:crypto';
import { addDays, addHours, addMinutes, format } from 'date-fns';
import { asc, eq } from 'drizzle-orm';
import { kindById } from '@/core/covers';
import { markOf } from '@/core/cutlist';
import { schema, type Database } from '@/db';
import { createBatch } from '@/features/batches/commands';
import { saveCloth } from '@/features/cloth/commands';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { saveOrder } from '@/features/orders/commands';
import { emptyLine, type LineForm } from '@/features/orders/form';
import type { Person } from '@/features/people/queries';
import { handOver, stepCovers } from '@/features/room/commands';
import { beginRun, noteMinutes } from '@/features/sewing/commands';
import { receive } from '@/features/stock/commands';
import { layAtOnce } from '@/work/lay-batch';
import { passDemo, resewDemo } from './demo-check';
import { approveDemo, cutDemo } from './demo-ends';
import { give, personOf } from './demo-give';

// Eight weeks of the demo's log: orders that were made, cut, sewn, checked and handed over, by the commands that people would have given then.

interface PastLine {
  kind: string;
  qty: number;
  typed: Record<string, string>;
  choices?: Record<string, string>;
  /** Minutes that sewing all of it took. */
  minutes: number;
}

/** An order of the past: its days count back from today. */
interface PastOrder {
  customer: string;
  /** Came, was cut, promised for, and handed over so many days ago. */
  came: number;
  cut: number;
  due: number;
  left: number;
  /** The reason for a day that was sooner than the plan's. */
  why?: string;
  lines: readonly PastLine[];
}

const zipped = (qty: number, size: string, minutes: number, piping = 'none'): PastLine => ({
  kind: 'zip-cushion',
  qty,
  typed: { width: size, height: size },
  choices: { piping },
  minutes,
});
const envelope = (qty: number, size: string, minutes: number): PastLine => ({
  kind: 'envelope-cushion',
  qty,
  typed: { width: size, height: size },
  minutes,
});

const PAST: readonly PastOrder[] = [
  {
    customer: 'Kettle Lock Boat Hire',
    came: 60,
    cut: 55,
    due: 48,
    left: 49,
    lines: [zipped(3, '17', 118), envelope(3, '15', 62)],
  },
  { customer: 'Weir Cottage Rooms', came: 53, cut: 48, due: 41, left: 42, lines: [zipped(2, '19', 96)] },
  {
    customer: 'The Lantern Tearoom',
    came: 47,
    cut: 41,
    due: 35,
    left: 33,
    why: 'the tearoom opens its garden',
    lines: [envelope(4, '16', 81), zipped(2, '16', 74)],
  },
  { customer: 'Wharf End Chandlery', came: 40, cut: 34, due: 27, left: 28, lines: [zipped(4, '18', 139)] },
  {
    customer: 'Old Depot Reading Room',
    came: 33,
    cut: 27,
    due: 20,
    left: 21,
    lines: [envelope(3, '18', 70), zipped(2, '20', 88)],
  },
  { customer: 'Number Nine Narrowboat', came: 26, cut: 20, due: 14, left: 13, lines: [zipped(3, '16', 105)] },
  { customer: 'Paper Moon Puppet Theatre', came: 19, cut: 13, due: 8, left: 8, lines: [envelope(4, '14', 76)] },
];

const CLOTH = 'Reed twill';
const FIRST_NO = 191;
const LAY_SECONDS = 0.5;
/** One run was forgotten over lunch: its minutes are no case for anybody. */
const FORGOTTEN = { order: 3, minutes: 520 };

/** Writes the eight weeks: a cloth of their own, so that the shelf of today stays as it is. */
export async function historyDemo(db: Database, today: Date, people: readonly number[]): Promise<void> {
  const [desk, cutter, sewer] = await Promise.all([0, 1, 2].map((i) => personOf(db, people[i]!)));
  const morning = new Date(today);
  morning.setHours(9, 0, 0, 0);
  const daysAgo = (days: number) => addDays(morning, -days);
  const form = { ...EMPTY_CLOTH, name: CLOTH, price: '11.50', turns: 'half' as const };
  const read = saveCloth.read({ form, edited: null });
  if ('faults' in read) throw new Error(read.faults[0]!.message);
  const cloth = (await give(saveCloth, read.value, desk!, daysAgo(62))).id;
  await give(
    receive,
    {
      what: `cloth ${cloth}`,
      lot: '7',
      width: '54',
      selvageLeft: '1/2',
      selvageRight: '1/2',
      length: '24 yd',
      count: '1',
      motifAcross: '',
      motifAlong: '',
      flaws: [],
      outline: '',
      place: 'rack 4',
      supplier: '',
      price: '11.50',
      notes: '',
    },
    desk!,
    daysAgo(61),
  );
  for (const [i, past] of PAST.entries()) {
    const order = await orderOf(db, past, { nth: i, cloth: String(cloth), desk: desk!, at: daysAgo(past.came) });
    const lineIds = order.lines.map(({ id }) => id);
    const batch = await give(
      createBatch,
      { name: `Week of ${format(daysAgo(past.cut), 'd MMMM')}`, lineIds },
      desk!,
      daysAgo(past.cut),
    );
    await layAtOnce(db, batch.id, LAY_SECONDS);
    await approveDemo(db, batch.id, desk!.id, daysAgo(past.cut));
    await cutDemo(db, batch.id, cutter!.id, addHours(daysAgo(past.cut), 2), false);
    for (const [n, line] of order.lines.entries()) {
      const minutes = i === FORGOTTEN.order ? FORGOTTEN.minutes : past.lines[n]!.minutes;
      await sewLine(db, line.id, {
        minutes,
        sewer: n === 0 ? sewer! : cutter!,
        checker: desk!,
        at: addDays(daysAgo(past.cut), 1 + n),
        nth: i + n,
      });
    }
    const coverIds = (
      await coversOf(
        db,
        order.lines.map(({ id }) => id),
      )
    ).map(({ id }) => id);
    await give(
      handOver,
      {
        orderId: order.id,
        coverIds,
        day: format(daysAgo(past.left), 'yyyy-MM-dd'),
        toWhom: 'fetched at the loft',
        note: '',
      },
      desk!,
      addHours(daysAgo(past.left), 5),
    );
  }
}

async function orderOf(
  db: Database,
  { customer, due, came, why = '', lines }: PastOrder,
  { nth, cloth, desk, at }: { nth: number; cloth: string; desk: Person; at: Date },
) {
  const dueDay = format(addDays(at, came - due), 'yyyy-MM-dd');
  const forms = lines.map(({ kind, qty, typed, choices = {} }): LineForm => {
    const empty = emptyLine(kindById(kind)!);
    return { ...empty, qty: String(qty), typed, choices: { ...empty.choices, ...choices }, cloth: { face: cloth } };
  });
  const ready = format(addDays(at, came - due - 2), 'yyyy-MM-dd');
  const safe = why ? format(addDays(at, came - due + 2), 'yyyy-MM-dd') : dueDay;
  const form = { customer, due: dueDay, units: 'in' as const, notes: '', lines: forms, promise: { ready, safe, why } };
  const { id } = await give(saveOrder, { form, edited: null }, desk, at);
  // Older orders have lower numbers, although they are written after those of today.
  const no = FIRST_NO + nth;
  await db
    .update(schema.orders)
    .set({ no, mark: markOf(no), createdAt: at })
    .where(eq(schema.orders.id, id));
  const { orderLines } = schema;
  const rows = await db
    .select({ id: orderLines.id })
    .from(orderLines)
    .where(eq(orderLines.orderId, id))
    .orderBy(asc(orderLines.position));
  return { id, lines: rows };
}

const coversOf = async (db: Database, lineIds: readonly number[]) => {
  const { covers } = schema;
  const rows = await db.select({ id: covers.id, lineId: covers.lineId }).from(covers).orderBy(asc(covers.id));
  return rows.filter(({ lineId }) => lineIds.includes(lineId));
};

/** Sews a line in one run, with its minutes noted, checks its covers and packs them. */
async function sewLine(
  db: Database,
  lineId: number,
  { minutes, sewer, checker, at, nth }: { minutes: number; sewer: Person; checker: Person; at: Date; nth: number },
) {
  const own = await coversOf(db, [lineId]);
  const coverIds = own.map(({ id }) => id);
  const { id: runId } = await give(beginRun, { coverIds }, sewer, at);
  const end = addMinutes(at, minutes);
  await give(noteMinutes, { runId, minutes, entry: randomUUID() }, sewer, end);
  await give(stepCovers, { coverIds, event: 'finish' as const, note: '' }, sewer, end);
  // In every third run one cover goes back to the machines.
  if (nth % 3 === 1) {
    await resewDemo(own[0]!, checker, addMinutes(end, 20));
    await give(stepCovers, { coverIds: [own[0]!.id], event: 'mended' as const, note: '' }, sewer, addMinutes(end, 45));
  }
  for (const [n, cover] of own.entries()) await passDemo(db, cover, checker, addMinutes(end, 60 + 8 * n), nth + n);
  await give(stepCovers, { coverIds, event: 'pack' as const, note: '' }, checker, addMinutes(end, 120));
}

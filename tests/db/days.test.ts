import { randomUUID } from 'node:crypto';
import { format } from 'date-fns';
import { eq } from 'drizzle-orm';
import ICAL from 'ical.js';
import { beforeEach, describe, expect, test } from 'vitest';
import { NM } from '@/core/length';
import { minuteOf, planDays, runIdOf, USUAL_ROOM, usualHours, type WorkSort } from '@/core/schedule';
import { schema } from '@/db';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { runCommand } from '@/features/commands/command';
import { keepPlan, lockRun, saveHours, setMinutesAside } from '@/features/days/actions';
import { planCalendar } from '@/features/days/calendar';
import { learnFromRuns } from '@/features/days/minutes-log';
import { loadMinutes } from '@/features/days/minutes-view';
import { getDays, getRoomToAsk } from '@/features/days/queries';
import { figure } from '@/features/figures/queries';
import { saveMaterial } from '@/features/materials/actions';
import { EMPTY_MATERIAL } from '@/features/materials/form';
import { makeQuote } from '@/features/money/make-quote';
import { stepQuote } from '@/features/money/actions';
import { saveOrder } from '@/features/orders/actions';
import { getOrder } from '@/features/orders/queries';
import { addPerson } from '@/features/people/commands';
import { approveBatch, createBatch } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { markCut } from '@/features/cutting/actions';
import { handOver, holdCovers, stepCovers } from '@/features/room/actions';
import { beginRun, noteMinutes } from '@/features/sewing/actions';
import { awaitGoods, changeAwaited, receive } from '@/features/stock/actions';
import { shoppingList } from '@/features/stock/shopping';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm } from '../support/forms';
import { linesOf, savedOrder } from '../support/orders';
import { receipt } from '../support/stock';
import { A_MOMENT, db, faultsOf, inWorkroom, value } from '../support/workroom';

// The plan of the days from what the database holds: hours, locks, covers that move on, minutes that were sewn.

const CORD = {
  ...EMPTY_MATERIAL,
  name: 'Piping cord',
  sort: 'cord' as const,
  countedBy: 'length' as const,
  price: '0.40',
  pricePer: 'm' as const,
  usualFor: ['piping cord', 'cord'],
};

const piped = (cloth: number, qty: string) =>
  lineForm(cloth, {
    kind: 'boxed-cushion',
    qty,
    fit: 'true',
    typed: { length: '23', width: '19', thickness: '2 1/2' },
    choices: { piping: 'both' },
    cloth: { face: String(cloth) },
  });

let order: number;
let lines: number[];
let ada: number;

inWorkroom();
beforeEach(async () => {
  ada = value(await runCommand(addPerson, { name: 'Ada' }, randomUUID())).id;
  const cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '12', turns: 'half' }, null)).id;
  value(await receive(receipt(cloth)));
  order = await savedOrder([
    lineForm(cloth, { qty: '2', typed: { width: '20', height: '18' } }),
    lineForm(cloth, { qty: '3', typed: { width: '15', height: '15' } }),
  ]);
  lines = await linesOf(order);
});

async function cut() {
  const batch = value(await createBatch({ name: 'Test batch', lineIds: lines })).id;
  await layAtOnce(db, batch, A_MOMENT);
  value(await approveBatch(batch, (await getBatch(batch))!.batch.version));
  value(await markCut(batch));
  return (await db.select().from(schema.covers).orderBy(schema.covers.id)).map(({ id }) => id);
}
const idsOf = async () => (await getDays()).job.runs.map(({ id }) => id);

describe('the days', () => {
  test('have every step of an open order, and lose each as its covers move on', async () => {
    expect(await idsOf()).toEqual(
      lines.flatMap((line) => (['cut', 'sew', 'check'] as const).map((does) => runIdOf(line, does))),
    );
    const covers = await cut();
    expect(await idsOf(), 'cut is cut').toEqual(
      lines.flatMap((line) => [runIdOf(line, 'sew'), runIdOf(line, 'check')]),
    );
    for (const event of ['begin', 'finish'] as const) value(await stepCovers(covers.slice(0, 2), event, ''));
    expect(await idsOf()).toEqual([
      runIdOf(lines[0]!, 'check'),
      runIdOf(lines[1]!, 'sew'),
      runIdOf(lines[1]!, 'check'),
    ]);
    value(await holdCovers(covers.slice(2), 'cloth', 'a lot is missing'));
    const { waiting, job } = await getDays();
    expect(waiting).toMatchObject([{ why: 'Held: cloth.' }]);
    expect(job.runs.map(({ id }) => id)).toEqual([runIdOf(lines[0]!, 'check')]);
  });

  test('keep to hours and days off that were saved, and to what was put to somebody by hand', async () => {
    const tomorrow = format(new Date(Date.now() + 86_400_000), 'yyyy-MM-dd');
    const off = [{ personId: ada, from: '2026-01-01', to: tomorrow, why: 'away' }];
    value(await saveHours({ ...USUAL_ROOM, people: [{ ...usualHours(ada), does: ['sew', 'cut', 'check'] }], off }));
    const view = await getDays();
    const first = planDays(view.job, { effort: 0.01 }).runs[0]!;
    expect(first.parts[0]![0], 'not before she is back').toBeGreaterThan(view.job.from + 60);
    value(await lockRun({ runId: runIdOf(lines[0]!, 'sew'), personId: ada, notBefore: null }));
    const locked = await getDays();
    expect(locked.job.runs.find(({ id }) => id === runIdOf(lines[0]!, 'sew'))!.person).toBe(String(ada));
    expect(locked.runs.find(({ id }) => id === runIdOf(lines[0]!, 'sew'))!.isLocked).toBe(true);
    value(await lockRun({ runId: runIdOf(lines[0]!, 'sew'), personId: null, notBefore: null }));
    expect((await getDays()).locks).toEqual([]);
  });

  test('name nobody in figures and minutes once names are switched off', async () => {
    value(await saveHours({ ...USUAL_ROOM, people: [usualHours(ada)] }));
    expect((await figure('load'))!.columns).toEqual(['Week of', 'Ada']);
    const named = (await figure('load'))!.rows.map(({ values }) => values);
    value(await saveHours({ ...USUAL_ROOM, people: [usualHours(ada)], hasNames: false }));
    expect((await figure('load'))!.columns).toEqual(['Week of', 'All together']);
    expect((await figure('load'))!.rows.map(({ values }) => values)).toEqual(named);
  });

  test('refuse hours that are none, in a sentence', async () => {
    const day = usualHours(ada).week[0]!;
    const wrong = [
      [{ ...day, to: '07:00' }, 'A day goes from its begin over its break to its end.'],
      [{ ...day, from: 'early' }, 'Write a time like 08:30.'],
    ] as const;
    for (const [hours, message] of wrong) {
      const week = usualHours(ada).week.map((one, i) => (i === 0 ? hours : one));
      const answer = await saveHours({ ...USUAL_ROOM, people: [{ ...usualHours(ada), week }] });
      expect(faultsOf(answer)[0]!.message).toBe(message);
    }
    expect(faultsOf(await saveHours({ ...USUAL_ROOM, sharePercent: 0 }))[0]!.message).toContain('10 to 100');
  });

  test('learn: the estimate of a kind moves after three of its covers were sewn', async () => {
    const asked = { kind: 'envelope-cushion', options: [], seam: 1.8, person: null, covers: 1 };
    const before = (await learnFromRuns(db)).estimate(asked);
    const covers = await cut();
    for (const cover of covers.slice(0, 3)) {
      const run = value(await beginRun([cover])).id;
      value(await noteMinutes(run, 95, randomUUID()));
      value(await stepCovers([cover], 'finish', ''));
    }
    const after = (await learnFromRuns(db)).estimate(asked);
    expect(after.restsOn).toBe(3);
    expect(after.minutes).toBeGreaterThan(before.minutes * 1.2);
  });

  test('leave an order out that is asked about, and give its lines as they stand', async () => {
    const asked = await getRoomToAsk(order);
    expect(asked.job.runs).toEqual([]);
    expect(asked.asked.map(({ lineId, toCut }) => [lineId, toCut])).toEqual([
      [lines[0], 2],
      [lines[1], 3],
    ]);
    const freeOf = ({ shelf }: typeof asked) => shelf.find(([, { name }]) => name === 'Plain drill')![1].free;
    expect(freeOf(asked), 'its own cloth is not taken twice').toBe(20 * NM.yd);
    const whole = await getRoomToAsk();
    expect(whole.asked).toEqual([]);
    expect(whole.job.runs).toHaveLength(6);
    // What both lines need of the 20 yd is off the shelf: by their area, a little more than 0.85 of a width full.
    expect(freeOf(whole)).toBeLessThan(20 * NM.yd);
    expect(freeOf(whole)).toBeGreaterThan(15 * NM.yd);
  });

  test('wait for cloth that is on its way, move with its day, and go on when it is there', async () => {
    const other = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Blue drill', price: '12', turns: 'half' }, null)).id;
    const waits = await savedOrder([lineForm(other, { qty: '2' })]);
    const [line] = await linesOf(waits);
    const earliest = async () => (await getDays()).job.runs.find(({ id }) => id === runIdOf(line!, 'cut'))!.earliest;
    const from = (await getDays()).job.from;
    expect(await earliest(), 'bought within the usual days').toBe(from + USUAL_ROOM.clothDays * 1440);
    expect(faultsOf(await awaitGoods(`cloth ${other}`, 5 * NM.yd, '2027-02-31', ''))[0]!.message).toBe(
      'Choose the day that the supplier named.',
    );
    const day = (days: number) => format(new Date(Date.now() + days * 86_400_000), 'yyyy-MM-dd');
    const { id } = value(await awaitGoods(`cloth ${other}`, 5 * NM.yd, day(3), ''));
    expect(await earliest()).toBe(minuteOf(`${day(3)}T12:00`));
    value(await changeAwaited(id, day(9)));
    expect(await earliest()).toBe(minuteOf(`${day(9)}T12:00`));
    expect((await shoppingList()).onItsWay).toMatchObject([{ name: 'Blue drill', amount: '5 yd', day: day(9) }]);
    value(await receive(receipt(other, { length: '2 yd' })));
    expect((await shoppingList()).onItsWay, 'a part of it came').toMatchObject([{ amount: '3 yd' }]);
    value(await receive(receipt(other, { length: '3 yd' })));
    expect((await shoppingList()).onItsWay).toEqual([]);
    expect(await earliest()).toBeNull();
  });

  test('sew nothing before its notions are there: bought, on their way, or on the shelf', async () => {
    const cord = value(await saveMaterial(CORD, null)).id;
    const cloth = (await db.select().from(schema.cloths).where(eq(schema.cloths.name, 'Plain drill')))[0]!.id;
    const waits = await savedOrder([piped(cloth, '2')]);
    const [line] = await linesOf(waits);
    const run = async (does: WorkSort) => {
      const { job, runs } = await getDays();
      const id = runIdOf(line!, does);
      return [job.runs.find((one) => one.id === id)!.earliest, runs.find((one) => one.id === id)!.waits?.why ?? ''];
    };
    const delivery = (length: string) =>
      receive({ ...receipt(0), what: `material ${cord}`, width: '', selvageLeft: '', selvageRight: '', length });
    expect(await run('sew'), 'a notion that the workroom does not count').toEqual([null, '']);
    const day = format(new Date(Date.now() + 3 * 86_400_000), 'yyyy-MM-dd');
    value(await awaitGoods(`material ${cord}`, 12 * NM.yd, day, ''));
    expect(await run('sew')).toEqual([minuteOf(`${day}T12:00`), 'Piping cord is on its way']);
    expect(await run('cut')).toEqual([null, '']);
    // Asked about, the order waits for the same; what is left of the cord is left for it.
    const { asked, notions } = await getRoomToAsk(waits);
    expect(asked[0]!.sewNotBefore).toEqual({ at: minuteOf(`${day}T12:00`), why: 'Piping cord is on its way' });
    expect(notions.find(({ id }) => id === cord)!.free).toBe(0);
    value(await delivery('1 yd'));
    const from = (await getDays()).job.from;
    expect(await run('sew'), 'a yard is not enough for two; the rest of the delivery is on its way').toEqual([
      minuteOf(`${day}T12:00`),
      'Piping cord is on its way',
    ]);
    value(await delivery('11 yd'));
    expect(await run('sew')).toEqual([null, '']);
    // Another eleven covers want more than is there, and nothing is on its way.
    const later = await savedOrder([piped(cloth, '11')]);
    const [next] = await linesOf(later);
    const sewn = (await getDays()).job.runs.find(({ id }) => id === runIdOf(next!, 'sew'))!;
    expect(sewn.earliest).toBe(from + USUAL_ROOM.clothDays * 1440);
  });

  test('keep every promise: with the order, for another day, and as it goes out with a quote', async () => {
    const kept = async () =>
      (await db.select().from(schema.promises).orderBy(schema.promises.id)).map(({ day, safeDay, why, quoteId }) => [
        day,
        safeDay,
        why,
        quoteId !== null,
      ]);
    const [first] = await kept();
    const stored = (await getOrder(order))!;
    const edited = { id: order, version: stored.version };
    const promise = { ready: '2027-02-03', safe: '2027-02-05', why: 'the fair' };
    value(await saveOrder({ ...stored.form, due: '2027-02-04', promise }, edited));
    const again = { id: order, version: stored.version + 1 };
    value(await saveOrder({ ...stored.form, due: '2027-02-04', notes: 'the same day' }, again));
    const { id: quote } = value(await makeQuote(order));
    value(await stepQuote(quote, 'send'));
    expect(await kept()).toEqual([
      first,
      ['2027-02-04', '2027-02-05', 'the fair', false],
      ['2027-02-04', '2027-02-05', 'the fair', true],
    ]);
  });

  test('keep the plan of each day as it was first seen, and compare with the day before', async () => {
    const plan = (day: string, ready: string) => ({ day, ready: { 201: ready } });
    value(await keepPlan(plan('2026-12-01', '2026-12-05')));
    value(await keepPlan(plan('2026-12-02', '2026-12-07')));
    value(await keepPlan(plan('2026-12-02', '2026-12-09')));
    value(await keepPlan(plan('2026-11-30', '2026-12-01')));
    const { kept } = await getDays();
    expect(kept).toEqual({ last: plan('2026-12-02', '2026-12-07'), before: plan('2026-12-01', '2026-12-05') });
  });

  test('minutes that were set aside are not learned from, and count again when they are taken back', async () => {
    const covers = await cut();
    const run = value(await beginRun(covers.slice(0, 2))).id;
    value(await noteMinutes(run, 90, randomUUID()));
    value(await stepCovers(covers.slice(0, 2), 'finish', ''));
    const restsOn = async () => (await loadMinutes(db))[0]!.estimate.restsOn;
    expect(await restsOn()).toBe(1);
    value(await setMinutesAside(run, 'the machine broke'));
    expect((await loadMinutes(db))[0]).toMatchObject({
      estimate: { restsOn: 0 },
      cases: [{ runId: run, each: 45, setAside: 'the machine broke' }],
    });
    value(await setMinutesAside(run, ''));
    expect(await restsOn()).toBe(1);
  });

  test('figures of minutes and promises are those of the log, worked by hand', async () => {
    const covers = await cut();
    const run = value(await beginRun(covers.slice(0, 2))).id;
    value(await noteMinutes(run, 90, randomUUID()));
    for (const event of ['finish', 'pass', 'pack'] as const) value(await stepCovers(covers.slice(0, 2), event, ''));
    for (const event of ['begin', 'finish', 'pass', 'pack'] as const)
      value(await stepCovers(covers.slice(2), event, ''));
    const due = (await getOrder(order))!.form.due;
    value(await handOver({ orderId: order, coverIds: covers, day: due, toWhom: 'the van', note: '' }));
    const rowsOf = async (id: string) => (await figure(id))!.rows.map(({ values }) => values);
    expect(await rowsOf('promises')).toEqual([[1, 0]]);
    await db.update(schema.promises).set({ day: '2026-01-01' });
    expect(await rowsOf('promises'), 'the promise that was said counts').toEqual([[0, 1]]);
    expect(await rowsOf('time')).toEqual([[1.5, 0]]);
    expect((await rowsOf('minutes-kind'))[0]![1]).toBe(45);
    expect(await rowsOf('load'), 'nothing is left to do').toEqual([]);
  });

  test('as a calendar file are read back by another program: all of them, one person’s, one order’s', async () => {
    const events = async (of: Parameters<typeof planCalendar>[0]) =>
      new ICAL.Component(ICAL.parse(await planCalendar(of)) as never)
        .getAllSubcomponents('vevent')
        .map((one) => new ICAL.Event(one));
    const all = await events({});
    const { job } = await getDays();
    const planned = planDays(job, { effort: 0.1 }).runs.flatMap(({ parts }) => parts);
    expect(all).toHaveLength(planned.length);
    const minutes = all.reduce(
      (sum, { startDate, endDate }) => sum + endDate.subtractDate(startDate).toSeconds() / 60,
      0,
    );
    expect(minutes).toBe(planned.reduce((sum, [begins, ends]) => sum + ends - begins, 0));
    const [own] = await db.select().from(schema.orders).where(eq(schema.orders.id, order));
    expect(all[0]!.summary).toContain(String(own!.no));
    expect(await events({ personId: ada })).toHaveLength(all.length);
    expect(await events({ personId: ada + 1 })).toHaveLength(0);
    expect(await events({ orderId: order + 1 })).toHaveLength(0);
  });
});

// Ways to help a late order: each is planned anew, and what it says holds when it is done.
import { describe, expect, test } from 'vitest';
import { helpsFor, type Help, type RunFacts } from './helps';
import { usualHours } from './hours';
import { planDays } from './plan-days';
import { readyOf } from './promise';
import { cutRunOf, runIdOf, withLock, type OpenLine, type RoomWork } from './room-job';
import { openLine as line, roomOfTwo, sewing } from './testing';
import { endOfDay, minuteOf } from './wall-clock';

const EFFORT = 0.01;
const NO_FACTS: RunFacts = { covers: new Map(), openCuts: [], looseCuts: [] };
const room = (lines: OpenLine[], rest: Partial<RoomWork> = {}) => roomOfTwo(minuteOf('2026-12-02T08:00')!, lines, rest);
const helpsOf = (job: ReturnType<typeof room>, facts: Partial<RunFacts> = {}): Help[] =>
  helpsFor(job, planDays(job, { effort: EFFORT }), '1', EFFORT, { ...NO_FACTS, ...facts });
const lateOf = (job: ReturnType<typeof room>): number =>
  readyOf(job, planDays(job, { effort: EFFORT })).find(({ orderId }) => orderId === '1')!.late;
const today = endOfDay('2026-12-02')!;
const later = endOfDay('2026-12-18')!;

describe('a late order', () => {
  test('that is in time has nothing that helps', () => {
    expect(helpsOf(room([line(1)]))).toEqual([]);
  });

  test('is less late where somebody stays an hour longer', () => {
    const job = room([line(1, { sewing: sewing(900), due: today })], { people: [usualHours(1)] });
    expect(helpsOf(job)[0]).toMatchObject({ sort: 'hour', personId: '1', others: 0 });
  });

  test('is let go from its locks, or goes to somebody else, as late as it then is by a plan of that', () => {
    const free = room([line(1, { sewing: sewing(300), due: today }), line(2, { sewing: sewing(400), due: later })]);
    const lock = { notBefore: null, personId: 1 };
    const job = [1, 2].reduce((one, id) => withLock(one, { ...lock, runId: runIdOf(id, 'sew') }), {
      ...free,
      orders: free.orders.map((one) => ({ ...one, weight: one.id === '1' ? 0.001 : 1, due: today })),
    });
    expect(lateOf(job)).toBeGreaterThan(0);
    const helps = helpsOf(job);
    expect(helps.find(({ sort }) => sort === 'move')).toEqual({
      sort: 'move',
      personId: '2',
      runId: runIdOf(1, 'sew'),
      late: 0,
      others: 0,
    });
    expect(helps.find(({ sort }) => sort === 'anyone')).toMatchObject({ late: 0, others: 0 });
    expect(lateOf(withLock(job, { ...lock, personId: 2, runId: runIdOf(1, 'sew') }))).toBe(0);
  });

  test('of several covers is sewn by two people; one cover can’t be', () => {
    const job = room([line(1, { sewing: sewing(700), due: today })]);
    const share = (covers: number) =>
      helpsOf(job, { covers: new Map([[runIdOf(1, 'sew'), covers]]) }).find(({ sort }) => sort === 'share');
    // 350 minutes and 10 of setting up each, 12 of checking: through at 14:57 on the first day instead of the second.
    expect(share(2)).toEqual({ sort: 'share', runId: runIdOf(1, 'sew'), late: 0, others: 0 });
    expect(share(1)).toBeUndefined();
  });

  test('whose batch waits at the table is helped by cutting that first, and it says who becomes late by it', () => {
    const cut = { toCut: 2, toSew: 0, due: today };
    const job = room(
      [line(1, { ...cut, batchId: 7, sewing: sewing(180) }), line(2, { ...cut, batchId: 8, sewing: sewing(20) })],
      {
        batches: [
          { batchId: 7, minutes: 60, notBefore: null },
          { batchId: 8, minutes: 400, notBefore: null },
        ],
      },
    );
    // One table, and an order that weighs more: its 400 minutes of cutting go first, and only one of the two can be in time.
    const held = { ...job, orders: job.orders.map((one) => (one.id === '2' ? { ...one, weight: 100 } : one)) };
    expect(lateOf(held)).toBeGreaterThan(0);
    const first = helpsOf(held).find(({ sort }) => sort === 'earlier')!;
    expect(first).toMatchObject({ runId: cutRunOf(7), others: 1 });
    expect(first.late).toBeLessThan(lateOf(held));
  });

  test('with a line that is in no batch goes with a batch that is cut sooner', () => {
    const job = room(
      [
        line(1, { toCut: 2, toSew: 0, cutMinutes: 200, sewing: sewing(120), due: today }),
        line(2, { toCut: 2, toSew: 0, batchId: 8, due: later }),
      ],
      { batches: [{ batchId: 8, minutes: 20, notBefore: null }] },
    );
    const loose = runIdOf(1, 'cut');
    const late = {
      ...job,
      runs: job.runs.map((run) => (run.id === loose ? { ...run, setting: null, setup: 240 } : run)),
    };
    expect(lateOf(late)).toBeGreaterThan(0);
    const facts = { openCuts: [cutRunOf(8)], looseCuts: [loose] };
    expect(helpsOf(late, facts).find(({ sort }) => sort === 'join')).toEqual({
      sort: 'join',
      runId: loose,
      withRun: cutRunOf(8),
      late: 0,
      others: 0,
    });
    expect(helpsOf(late).some(({ sort }) => sort === 'join')).toBe(false);
  });

  test('of two lines sends ahead the covers that are ready in time', () => {
    const [quick, slow] = [line(1, { sewing: sewing(60), due: today }), line(4, { sewing: sewing(900), due: today })];
    const job = room([quick, { ...slow, orderId: 1 }]);
    const covers = new Map([
      [runIdOf(1, 'check'), 3],
      [runIdOf(4, 'check'), 5],
    ]);
    const part = helpsOf(job, { covers }).at(-1);
    expect(part).toEqual({ sort: 'part', inTime: [3, 8], late: lateOf(job), others: 0 });
  });
});

// The room as a day job: hours, what comes after what, what is ready when, and what would help.
import { describe, expect, test } from 'vitest';
import { readDayJob } from './day-job';
import { usualHours, USUAL_ROOM, weekdayOf, windowsOf } from './hours';
import { planDays } from './plan-days';
import { readyOf, whatHolds } from './promise';
import { cutRunOf, runIdOf, type OpenLine, type RoomWork } from './room-job';
import { faultsOfPlan, openLine as line, roomOfTwo, sewing } from './testing';
import { endOfDay, minuteOf, textOf } from './wall-clock';

const NOW = minuteOf('2026-12-02T10:00')!;
const room = (lines: OpenLine[], rest: Partial<RoomWork> = {}) => roomOfTwo(NOW, lines, rest);

describe('hours', () => {
  test('go over the working days with their break, and leave days off out', () => {
    // 2026-12-02 is a Wednesday: it, Thursday and Friday, not the weekend, then Monday.
    expect(weekdayOf(NOW)).toBe(2);
    const off = [{ personId: null, from: '2026-12-03', to: '2026-12-03', why: 'stocktaking' }];
    const windows = windowsOf(usualHours(1), off, NOW, 6).map(
      ([a, b]) => `${textOf(a).slice(5)} ${textOf(b).slice(11)}`,
    );
    expect(windows).toEqual([
      '12-02T08:00 12:00',
      '12-02T12:45 16:30',
      '12-04T08:00 12:00',
      '12-04T12:45 16:30',
      '12-07T08:00 12:00',
      '12-07T12:45 16:30',
    ]);
    expect(windowsOf(usualHours(1), [{ ...off[0]!, personId: 2 }], NOW, 2)).toHaveLength(4);
  });
});

describe('the room', () => {
  test('cuts a batch once for all its lines, then sews, then checks; each waits for what comes before it', () => {
    const lines = [
      line(1, { toCut: 2, toSew: 0, batchId: 7 }),
      line(2, { toCut: 1, toSew: 1, batchId: 7, toCheck: 3 }),
    ];
    const job = room(lines, { batches: [{ batchId: 7, minutes: 50, notBefore: null }] });
    expect(job.runs.map(({ id, after }) => [id, after])).toEqual([
      [cutRunOf(7), []],
      [runIdOf(1, 'sew'), [cutRunOf(7)]],
      [runIdOf(1, 'check'), [runIdOf(1, 'sew')]],
      [runIdOf(2, 'sew'), [cutRunOf(7)]],
      [runIdOf(2, 'check'), [runIdOf(2, 'sew')]],
    ]);
    expect(faultsOfPlan(job, planDays(job, { effort: 0.01 }))).toEqual([]);
  });

  test('is a day job of the open format', () => {
    const job = room([line(1, { toCut: 1 })]);
    const written = {
      format: 'jolly-bolt/day-job',
      version: 1,
      from: textOf(job.from),
      people: job.people.map((one) => ({ ...one, windows: one.windows.map((pair) => pair.map(textOf)) })),
      places: job.places,
      runs: job.runs.map(({ id, order, does, minutes, after }) => ({ id, order, does, minutes, after })),
      orders: job.orders.map(({ id }) => ({ id, promised: '2026-12-04' })),
    };
    expect(readDayJob(written).ok).toBe(true);
  });

  test('lengthens work by what else the day goes to, and plans nothing of what is held', () => {
    const job = room([line(1), line(2, { held: 'recut' })], { hours: { ...USUAL_ROOM, sharePercent: 80 } });
    expect(job.runs.map(({ id, minutes }) => [id, minutes])).toEqual([
      [runIdOf(1, 'sew'), 150],
      [runIdOf(1, 'check'), 15],
    ]);
  });

  test('what was put to somebody and a day by hand stays there', () => {
    const notBefore = minuteOf('2026-12-04T00:00')!;
    const job = room([line(1)], { locks: [{ runId: runIdOf(1, 'sew'), personId: 2, notBefore }] });
    const [first] = planDays(job, { effort: 0.01 }).runs;
    expect([first!.person, textOf(first!.parts[0]![0])]).toEqual(['2', '2026-12-04T08:00']);
  });
});

describe('a promise', () => {
  test('says when an order is ready, by when four times of five, and that it is in time', () => {
    const job = room([line(1)]);
    const [ready] = readyOf(job, planDays(job, { effort: 0.01 }));
    // From ten: 130 minutes of sewing up to the break and after it, then 12 of checking.
    expect(textOf(ready!.ends!)).toBe('2026-12-02T13:07');
    expect(ready!.safe!).toBeGreaterThan(ready!.ends!);
    expect([ready!.late, ready!.why]).toEqual([0, '']);
  });

  test('that is late says by how much and what holds it', () => {
    const due = endOfDay('2026-12-02')!;
    const one = { people: [usualHours(1)] };
    const job = room(
      [line(1, { sewing: sewing(360), due }), line(2, { sewing: sewing(200), due: endOfDay('2026-12-18')! })],
      one,
    );
    // Line 2 first, by hand: line 1 becomes late.
    const locked = {
      ...job,
      runs: job.runs.map((run) => (run.order === '1' ? { ...run, earliest: minuteOf('2026-12-03T08:00')! } : run)),
    };
    const plan = planDays(locked, { effort: 0.01 });
    const ready = readyOf(locked, plan).find(({ orderId }) => orderId === '1')!;
    expect(ready.late).toBeGreaterThan(0);
    expect(whatHolds(locked, plan, runIdOf(1, 'check'))).toBe(`run:${runIdOf(1, 'sew')}`);
  });
});

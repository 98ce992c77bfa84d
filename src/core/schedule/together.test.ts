// Lines that are cut in one run: what that spares, and who becomes late by it.
import { expect, test } from 'vitest';
import { usualHours, USUAL_ROOM } from './hours';
import { planRoom } from './offer';
import { roomJob, runIdOf, type OpenLine } from './room-job';
import { faultsOfPlan } from './testing';
import { cutTogether, lateByTogether } from './together';
import { endOfDay, minuteOf } from './wall-clock';

const NOW = minuteOf('2026-12-02T10:00')!;
const line = (lineId: number, rest: Partial<OpenLine> = {}): OpenLine => ({
  lineId,
  orderId: lineId,
  due: endOfDay('2026-12-03')!,
  toCut: 2,
  toSew: 0,
  toCheck: 0,
  batchId: null,
  setting: 'a',
  sewing: { setup: 10, minutes: 60, half: [0, 0], fourFifths: [0, 0], restsOn: 0, factors: [] },
  cutMinutes: 30,
  held: '',
  notBefore: null,
  sewNotBefore: null,
  dries: 0,
  ...rest,
});
const jobOf = (lines: OpenLine[]) =>
  roomJob({
    now: NOW,
    days: 28,
    hours: { ...USUAL_ROOM, sharePercent: 100 },
    people: [usualHours(1)],
    lines,
    batches: [],
    locks: [],
  });
const how = { sharePercent: 100, effort: 0.02 };

test('one run cuts them all, with one lay’s setting up less; each is sewn after it', () => {
  const job = jobOf([line(1), line(2), line(3)]);
  const together = cutTogether(job, [1, 2], 100);
  expect(together.runs.filter(({ does }) => does === 'cut').map(({ id, minutes }) => [id, minutes])).toEqual([
    [runIdOf(1, 'cut'), 50],
    [runIdOf(3, 'cut'), 30],
  ]);
  expect(together.runs.find(({ id }) => id === runIdOf(2, 'sew'))!.after).toEqual([runIdOf(1, 'cut')]);
  expect(faultsOfPlan(together, planRoom(together, 0.02).plan)).toEqual([]);
  expect(lateByTogether(planRoom(job, 0.02), [1, 2], how)).toEqual([]);
});

test('an order that would wait for another’s cloth is late by it, and it is named', () => {
  const comes = minuteOf('2026-12-09T12:00')!;
  const later = line(2, { due: endOfDay('2026-12-18')!, notBefore: { at: comes, why: 'on its way' } });
  const late = lateByTogether(planRoom(jobOf([line(1), later]), 0.02), [1, 2], how);
  expect(late.map(({ orderId }) => orderId)).toEqual(['1']);
  // From the end of 3 December to past noon of the 9th.
  expect(late[0]!.late).toBeGreaterThan(comes - endOfDay('2026-12-03')!);
});

test('what is one line, or not waiting, changes nothing', () => {
  const job = jobOf([line(1), line(2, { toCut: 0, toSew: 1 })]);
  expect(cutTogether(job, [1], 100)).toBe(job);
  expect(cutTogether(job, [1, 2], 100)).toBe(job);
});

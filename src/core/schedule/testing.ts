import type { DayJob } from './day-job';
import type { DayPlan } from './day-plan';
import type { Estimate } from './estimate';
import { usualHours, USUAL_ROOM } from './hours';
import { roomJob, type OpenLine, type RoomWork } from './room-job';
import { endOfDay } from './wall-clock';

// For tests: a judge of day plans that shares no code with what makes them.

/** Faults of a plan against its job, by the rules of the format; none where it keeps them all. */
export function faultsOfPlan(job: DayJob, { runs, unplanned, totals }: DayPlan): string[] {
  const faults: string[] = [];
  const known = new Map(job.runs.map((run) => [run.id, run]));
  const ends = new Map(runs.map(({ id, parts }) => [id, parts.at(-1)![1]]));
  const out = new Set(unplanned.map(({ id }) => id));
  for (const { id } of job.runs)
    if (ends.has(id) === out.has(id)) faults.push(`${id}: planned and left out, or neither`);
  for (const { id, why } of unplanned) if (why.trim() === '') faults.push(`${id}: left out without a reason`);
  for (const { id, person: who, place: where, setup, parts } of runs) {
    const run = known.get(id)!;
    const person = job.people.find((one) => one.id === who)!;
    const place = job.places.find((one) => one.id === where)!;
    if (!person.does.includes(run.does) || !place.does.includes(run.does))
      faults.push(`${id}: not done by ${who} or at ${where}`);
    if (run.person !== null && run.person !== who) faults.push(`${id}: locked to ${run.person}`);
    if (run.at !== null && run.at !== parts[0]![0]) faults.push(`${id}: locked to another time`);
    // Minute by minute: it works in every minute of its person's windows between its begin and its end, and in no other.
    let worked = 0;
    for (const [begins, stops] of person.windows)
      worked += Math.max(0, Math.min(stops, parts.at(-1)![1]) - Math.max(begins, parts[0]![0]));
    const said = parts.reduce((sum, [a, b]) => sum + b - a, 0);
    if (said !== run.minutes + setup || worked !== said) faults.push(`${id}: works ${worked}, says ${said}`);
    for (const [a, b] of parts)
      if (!person.windows.some(([begins, stops]) => begins <= a && b <= stops))
        faults.push(`${id}: outside the hours of ${who}`);
    const least = Math.max(
      job.from,
      run.earliest ?? job.from,
      ...run.after.map((one) => (ends.get(one) ?? Infinity) + run.wait),
    );
    if (parts[0]![0] < least) faults.push(`${id}: begins before it can`);
  }
  for (const { id: who } of job.people) {
    const own = runs.filter(({ person }) => person === who).sort((a, b) => a.parts[0]![0] - b.parts[0]![0]);
    for (const [i, one] of own.entries()) {
      const before = own[i - 1];
      const run = known.get(one.id)!;
      if (before && before.parts.at(-1)![1] > one.parts[0]![0])
        faults.push(`${one.id}: ${who} does two things at once`);
      const isSpared = before !== undefined && run.setting !== null && known.get(before.id)!.setting === run.setting;
      if (one.setup !== (isSpared ? 0 : run.setup)) faults.push(`${one.id}: setting up of ${one.setup}`);
    }
  }
  for (const { id: where, seats } of job.places) {
    const own = runs.filter(({ place }) => place === where);
    for (const { id, parts } of own) {
      const at = parts[0]![0];
      if (own.filter((one) => one.parts[0]![0] <= at && at < one.parts.at(-1)![1]).length > seats)
        faults.push(`${id}: ${where} is full`);
    }
  }
  const last = Math.max(...job.people.flatMap(({ windows }) => windows.map(([, stops]) => stops)));
  let late = 0;
  let lateOrders = 0;
  for (const { id, due, weight } of job.orders) {
    const over = Math.max(
      0,
      ...job.runs.filter(({ order }) => order === id).map((run) => (ends.get(run.id) ?? last) - due),
    );
    late += over * weight;
    if (over > 0) lateOrders++;
  }
  if (Math.abs(late - totals.lateMinutes) > 1e-6 || lateOrders !== totals.lateOrders)
    faults.push(`late by ${late}, says ${totals.lateMinutes}`);
  if (runs.reduce((sum, { setup }) => sum + setup, 0) !== totals.setupMinutes)
    faults.push('setting up does not add up');
  return faults;
}

/** An estimate of so many minutes, after ten of setting up. */
export const sewing = (minutes: number): Estimate => ({
  setup: 10,
  minutes,
  half: [0, 0],
  fourFifths: [0, 0],
  restsOn: 0,
  factors: [],
});

/** An open line of an order of its own, wanted by Friday, 4 December 2026. */
export const openLine = (lineId: number, rest: Partial<OpenLine> = {}): OpenLine => ({
  lineId,
  orderId: lineId,
  due: endOfDay('2026-12-04')!,
  toCut: 0,
  toSew: 2,
  toCheck: 0,
  batchId: null,
  setting: 'a',
  sewing: sewing(120),
  cutMinutes: 30,
  held: '',
  notBefore: null,
  sewNotBefore: null,
  dries: 0,
  ...rest,
});

/** A room at a minute, with two people who do everything and give the whole day to covers. */
export const roomOfTwo = (now: number, lines: readonly OpenLine[], rest: Partial<RoomWork> = {}): DayJob =>
  roomJob({
    now,
    days: 28,
    hours: { ...USUAL_ROOM, sharePercent: 100 },
    people: [usualHours(1), usualHours(2)],
    lines,
    batches: [],
    locks: [],
    ...rest,
  });

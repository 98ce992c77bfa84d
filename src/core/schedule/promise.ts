import type { DayJob } from './day-job';
import type { DayPlan, PlannedRun } from './day-plan';

/** When an order is ready by a plan. */
export interface Ready {
  orderId: string;
  /** The minute at which its last run ends; null where one of its runs is not planned. */
  ends: number | null;
  /** By then it is ready four times of five. */
  safe: number | null;
  /** Minutes of the clock after the end of its promised day; 0 where it is in time. */
  late: number;
  why: string;
}

/** Minutes of the clock for a minute of work, roughly: people work a third of the day. */
const CLOCK_OF_WORK = 3;
/** Four of five lie below so many standard deviations; estimates are off by so much of their minutes, one by one. From memory. */
const FOUR_OF_FIVE = 0.8416;
const SPREAD = 0.25;

/** When each order is ready, what it is late by, and what holds it. */
export function readyOf(job: DayJob, plan: DayPlan): Ready[] {
  const planned = new Map(plan.runs.map((run) => [run.id, run]));
  const left = new Map(plan.unplanned.map(({ id, why }) => [id, why]));
  const minutesOf = new Map(job.runs.map(({ id, minutes }) => [id, minutes]));
  return job.orders.map(({ id, due }) => {
    const own = job.runs.filter(({ order }) => order === id);
    const out = own.find((run) => left.has(run.id));
    if (out) return { orderId: id, ends: null, safe: null, late: 0, why: left.get(out.id)! };
    const last = own.map((run) => planned.get(run.id)!).reduce((a, b) => (endOf(b) > endOf(a) ? b : a));
    const squares = spreadBefore(minutesOf, plan, new Set(own.map((run) => run.id)), endOf(last));
    const late = Math.max(0, endOf(last) - due);
    return {
      orderId: id,
      ends: endOf(last),
      safe: workMinute(job, endOf(last) + Math.round(FOUR_OF_FIVE * Math.sqrt(squares) * CLOCK_OF_WORK)),
      late,
      why: late > 0 ? whatHolds(job, plan, last.id) : '',
    };
  });
}

/** Variance of the end of an order: of its own runs, or of all that the busiest of its people does until then, whichever is more. */
function spreadBefore(
  minutesOf: ReadonlyMap<string, number>,
  plan: DayPlan,
  own: ReadonlySet<string>,
  end: number,
): number {
  const people = new Set(plan.runs.flatMap(({ id, person }) => (own.has(id) ? [person] : [])));
  const sums = new Map<string, number>();
  let ofOwn = 0;
  for (const run of plan.runs) {
    const square = (minutesOf.get(run.id)! * SPREAD) ** 2;
    if (own.has(run.id)) ofOwn += square;
    if (people.has(run.person) && endOf(run) <= end) sums.set(run.person, (sums.get(run.person) ?? 0) + square);
  }
  return Math.max(ofOwn, ...sums.values());
}

/** A minute itself where anybody works then, else the first one after it in which somebody does. */
function workMinute({ people }: DayJob, minute: number): number {
  const begins = people.flatMap(({ windows }) => {
    const next = windows.find(([, ends]) => ends >= minute);
    return next ? [Math.max(minute, next[0])] : [];
  });
  return begins.length > 0 ? Math.min(...begins) : minute;
}

/** Orders that a change makes later: late by so many minutes more of the clock count, what is less is the search's own scatter. */
const LATER = 60;

/** The orders that are late after a change, and were less so before it. */
export function laterThan(before: readonly Ready[], after: readonly Ready[]): { orderId: string; late: number }[] {
  const was = new Map(before.map(({ orderId, late }) => [orderId, late]));
  return after.filter(({ orderId, late }) => late - (was.get(orderId) ?? Infinity) >= LATER);
}

export const endOf = ({ parts }: PlannedRun): number => parts.at(-1)![1];

/** The thing that a run waits for before it begins: its day, a run before it, its person’s run, its place; `now` where it begins at once. */
export function whatHolds(job: DayJob, plan: DayPlan, runId: string): string {
  const planned = new Map(plan.runs.map((run) => [run.id, run]));
  const run = job.runs.find(({ id }) => id === runId)!;
  const own = planned.get(runId)!;
  const begins = own.parts[0]![0];
  const before = run.after.map((id) => planned.get(id)!).sort((a, b) => endOf(b) - endOf(a))[0];
  const busy = plan.runs.filter((one) => one.person === own.person && one.parts[0]![0] < begins).at(-1);
  const readyAt = Math.max(run.earliest ?? job.from, before ? endOf(before) + run.wait : job.from);
  if (busy && endOf(busy) > readyAt) return `person:${busy.id}`;
  if (before && endOf(before) + run.wait >= (run.earliest ?? 0)) return `run:${before.id}`;
  if (run.earliest !== null && run.earliest > job.from) return 'earliest';
  const isFull = plan.runs.some(({ place, parts }) => place === own.place && parts.at(-1)![1] === begins);
  return isFull && busy === undefined ? 'place' : 'now';
}

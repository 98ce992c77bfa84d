import type { DayJob } from './day-job';
import type { DayPlan } from './day-plan';
import type { WorkSort } from './hours';
import { planDays } from './plan-days';
import { endOf, laterThan, readyOf, whatHolds, type Ready } from './promise';
import { runsOfAsked, type OpenLine } from './room-job';
import { DAY_MIN } from './wall-clock';

/** A room as an order that is asked about meets it: its day job, the plan without that order, and when all others are ready. */
export interface PlannedRoom {
  job: DayJob;
  plan: DayPlan;
  ready: Ready[];
}

/** A run of an order that is asked about, as it would be planned. */
export interface OfferedRun {
  id: string;
  lineId: number;
  does: WorkSort;
  person: string;
  begins: number;
  ends: number;
  /** Minutes of work with the setting up. */
  minutes: number;
  /** The thing that it waits for, as `whatHolds` names it. */
  holds: string;
}

/** Days on which an order can be ready, in minutes of the wall clock. */
export interface Offer {
  /** The end of its last run, and the time by which it is ready four times of five; null where it can’t be planned. */
  ends: number | null;
  safe: number | null;
  /** Minutes after its day. */
  late: number;
  /** Others that become late, or later, by it. */
  others: { orderId: string; late: number }[];
  runs: OfferedRun[];
  /** The same with it before all others, where that is at least a day sooner. */
  first: { ends: number; safe: number; others: { orderId: string; late: number }[] } | null;
  /** Why it can’t be planned; empty where it can. */
  why: string;
}

/** The id of the order that is asked about. */
export const ASKED = 'asked';
/** An order that goes before all others weighs so much. */
export const FIRST = 1000;

export function planRoom(job: DayJob, effort: number): PlannedRoom {
  const plan = planDays(job, { effort });
  return { job, plan, ready: readyOf(job, plan) };
}

/**
 * Plans a room with one order more: when it is ready if it is wanted by the minute `due`, who becomes late by that, and when it could be ready if it
 * went before all others. `lines` have ids that no other line of the room has.
 */
export function offerFor(
  room: PlannedRoom,
  lines: readonly OpenLine[],
  { due, sharePercent, effort }: { due: number; sharePercent: number; effort: number },
): Offer {
  const own = runsOfAsked(
    lines.filter(({ held }) => held === ''),
    sharePercent,
    room.job,
  ).map((run) => ({ ...run, order: ASKED }));
  if (own.length === 0)
    return { ends: null, safe: null, late: 0, others: [], runs: [], first: null, why: lines[0]?.held ?? '' };
  const withIt = (weight: number, wanted: number): PlannedRoom =>
    planRoom(
      {
        ...room.job,
        runs: [...room.job.runs, ...own],
        orders: [...room.job.orders, { id: ASKED, due: wanted, weight }],
      },
      effort,
    );
  const planned = withIt(1, due);
  const isOther = ({ orderId }: { orderId: string }) => orderId !== ASKED;
  const mine = planned.ready.find(({ orderId }) => orderId === ASKED)!;
  const others = laterThan(room.ready, planned.ready).filter(isOther);
  if (mine.ends === null) return { ends: null, safe: null, late: 0, others, runs: [], first: null, why: mine.why };
  const sooner = withIt(FIRST, room.job.from);
  const soonest = sooner.ready.find(({ orderId }) => orderId === ASKED)!;
  const isSooner = soonest.ends !== null && dayOf(soonest.ends) < dayOf(mine.ends);
  return {
    ends: mine.ends,
    safe: mine.safe,
    late: mine.late,
    others,
    runs: offeredRuns(planned, own, lines),
    first: isSooner
      ? { ends: soonest.ends!, safe: soonest.safe!, others: laterThan(room.ready, sooner.ready).filter(isOther) }
      : null,
    why: '',
  };
}

function offeredRuns(
  { job, plan }: PlannedRoom,
  own: readonly DayJob['runs'][number][],
  lines: readonly OpenLine[],
): OfferedRun[] {
  return plan.runs.flatMap((run): OfferedRun[] => {
    const asked = own.find(({ id }) => id === run.id);
    if (!asked) return [];
    const { lineId } = lines.find((line) => run.id.startsWith(`line-${line.lineId}-`))!;
    return [
      {
        id: run.id,
        lineId,
        does: asked.does as WorkSort,
        person: run.person,
        begins: run.parts[0]![0],
        ends: endOf(run),
        minutes: asked.minutes + run.setup,
        holds: whatHolds(job, plan, run.id),
      },
    ];
  });
}

const dayOf = (minute: number): number => Math.floor(minute / DAY_MIN);

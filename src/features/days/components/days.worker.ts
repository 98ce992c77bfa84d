import { expose } from 'comlink';
import {
  helpsFor,
  laterThan,
  planDays,
  readyOf,
  withLock,
  type DayJob,
  type DayPlan,
  type Help,
  type Ready,
  type RunFacts,
  type RunLock,
} from '@/core/schedule';

// Plans the room away from the page.

/** Consequences of moving a run for the promises: orders that become late by it, and those that are less so. */
export interface Moved {
  later: { orderId: string; late: number }[];
  sooner: string[];
}

/** Effort of a plan that somebody waits for, and of those that are tried for what would help. */
const EFFORT = 0.3;
const TRIED = 0.02;

let room: DayJob | null = null;
/** When all are ready by a plan of the effort of those that are tried: they are compared with it. */
let base: { plan: DayPlan; ready: Ready[] } | null = null;

function tried(job: DayJob) {
  const plan = planDays(job, { effort: TRIED });
  return { plan, ready: readyOf(job, plan) };
}

const work = {
  /** Takes the room in and plans it. */
  plan: (job: DayJob): { plan: DayPlan; ready: Ready[] } => {
    room = job;
    base = null;
    const plan = planDays(job, { effort: EFFORT });
    return { plan, ready: readyOf(job, plan) };
  },
  /** Puts a run to somebody for a look: who becomes late by it, and who less so. */
  moved: (lock: RunLock): Moved | null => {
    if (!room) return null;
    base ??= tried(room);
    const { ready } = tried(withLock(room, lock));
    return { later: laterThan(base.ready, ready), sooner: laterThan(ready, base.ready).map(({ orderId }) => orderId) };
  },
  helps: (orderId: string, facts: RunFacts): Help[] => {
    if (!room) return [];
    base ??= tried(room);
    return helpsFor(room, base.plan, orderId, TRIED, facts);
  },
};

export type DaysWork = typeof work;

expose(work);

import { expose } from 'comlink';
import { helpsFor, planDays, readyOf, type DayJob, type DayPlan, type Help, type Ready } from '@/core/schedule';

// Plans the room away from the page.

/** Effort of a plan that somebody waits for, and of those that are tried for what would help. */
const EFFORT = 0.3;
const TRIED = 0.02;

const work = {
  plan: (job: DayJob): { plan: DayPlan; ready: Ready[] } => {
    const plan = planDays(job, { effort: EFFORT });
    return { plan, ready: readyOf(job, plan) };
  },
  helps: (job: DayJob, orderId: string): Help[] => helpsFor(job, planDays(job, { effort: TRIED }), orderId, TRIED),
};

export type DaysWork = typeof work;

expose(work);

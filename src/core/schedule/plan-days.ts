import { Builder, isBetterPlan, type Built } from './build';
import type { DayJob } from './day-job';
import { planOf, type DayPlan } from './day-plan';
import { dispatch, type DispatchRule, type Sequence } from './dispatch';
import { isTiny, tryEverything } from './exact';
import { improve } from './improve';
import { modelOf, type Model } from './model';

interface Effort {
  /** Tells whether it has to end now; the plan is then what was found so far. */
  isOver?: () => boolean;
  /** The amount of work, 1 for the usual. */
  effort?: number;
}

const DAY = 24 * 60;
/** Ways of beginning: how far a promise is felt, how much setting up counts, how much people are kept for what few can do. */
const RULES: readonly DispatchRule[] = [0.15, 0.4, 1].flatMap((days) =>
  [0.5, 1.5, 4].flatMap((setups) => [0, 1].map((skills) => ({ lookAhead: days * DAY, setups, skills }))),
);
/** Runs that are placed in a search, however many plans that makes, and most plans. */
const MOST_PLACED = 2_500_000;
const MOST_PLANS = 60_000;
/** Searches from the best beginnings. */
const SEARCHES = 2;
const SEED = 20_261_201;

/**
 * Plans the runs of a day job: who does what where and when. Fewest left out, then least lateness, then least setting up. The same job gives the
 * same plan, unless the time ends first.
 */
export function planDays(job: DayJob, { isOver = () => false, effort = 1 }: Effort = {}): DayPlan {
  let model = modelOf(job);
  for (let tries = 0; ; tries++) {
    const built = search(model, effort, isOver);
    const lost = model.hasLocks && tries < job.runs.length ? lockedOut(model, built) : [];
    if (lost.length === 0) return planOf(model, built);
    // A run that is locked to a time at which it can't be done is left out, and stands in nobody's way.
    model = { ...model, people: model.people.map((who, run) => (lost.includes(run) ? new Int32Array() : who)) };
  }
}

const lockedOut = (model: Model, { person }: Built): number[] =>
  [...person.keys()].filter(
    (run) => person[run]! < 0 && !Number.isNaN(model.at[run]!) && model.people[run]!.length > 0,
  );

function search(model: Model, effort: number, isOver: () => boolean): Built {
  const builder = new Builder(model);
  const begun: { sequence: Sequence; built: Built }[] = [];
  for (const rule of RULES) {
    if (begun.length > 0 && isOver()) break;
    const sequence = dispatch(model, rule);
    begun.push({ sequence, built: builder.build(sequence.runs, sequence.people, builder.empty()) });
  }
  begun.sort((a, b) => (isBetterPlan(a.built, b.built) ? -1 : isBetterPlan(b.built, a.built) ? 1 : 0));
  let best = begun[0]!;
  if (isTiny(model)) {
    const sequence = tryEverything(model, best.sequence);
    return builder.build(sequence.runs, sequence.people, builder.empty());
  }
  const steps = Math.round((Math.min(MOST_PLANS, MOST_PLACED / Math.max(1, model.count)) / SEARCHES) * effort);
  for (let i = 0; i < Math.min(SEARCHES, begun.length); i++) {
    const sequence = improve(model, begun[i]!.sequence, { steps, seed: SEED + i, isOver });
    const built = builder.build(sequence.runs, sequence.people, builder.empty());
    if (isBetterPlan(built, best.built)) best = { sequence, built };
  }
  return best.built;
}

import type { DayJob, DayRun } from './day-job';
import type { DayPlan } from './day-plan';
import { FIRST } from './offer';
import { planDays } from './plan-days';
import { endOf, laterThan, readyOf } from './promise';
import { DAY_MIN } from './wall-clock';

/** Something that could be done for a late order, tried on the whole room. */
export interface Help {
  sort: 'first' | 'hour' | 'anyone' | 'move' | 'earlier' | 'join' | 'share' | 'part';
  /** Whom it asks an hour more of, or gives the run to. */
  personId?: string;
  /** The run that it is about. */
  runId?: string;
  /** Cutting with which it goes, of `join`. */
  withRun?: string;
  /** Covers that are ready in time, and all of them, of `part`. */
  inTime?: [number, number];
  /** Minutes of the clock that the order is late then, and how many others become late or later. */
  late: number;
  others: number;
}

/** Things about runs that a day job doesn't say. */
export interface RunFacts {
  /** Covers of each run that a line is sewn or checked in. */
  covers: ReadonlyMap<string, number>;
  /** Runs that cut a batch which still takes lines, and those of a line that is in no batch. */
  openCuts: readonly string[];
  looseCuts: readonly string[];
}

/** Days on which somebody would stay an hour longer. */
const LONGER_DAYS = 5;
/** Others to whom a run would be given, and batches with which a line would be cut: so many are tried. */
const MOST_TRIED = 5;
/** Minutes of the clock that a way wins at least; what is less is the search's own scatter. */
const LEAST = 60;
/** An order of the trial alone: what belongs to it goes before everything. */
const AHEAD = ' ahead';

/**
 * Ways to help a late order, each planned anew: it goes before all others; its batch is cut first; a line is cut with a batch; its longest run goes to
 * somebody else, or is sewn by two; somebody stays an hour longer for a week; its locks are let go; what is ready in time goes ahead. The best first.
 */
export function helpsFor(job: DayJob, plan: DayPlan, orderId: string, effort: number, facts: RunFacts): Help[] {
  const now = readyOf(job, plan);
  const before = now.find((one) => one.orderId === orderId)?.late ?? 0;
  if (before === 0) return [];
  const tried = (changed: DayJob, help: Omit<Help, 'late' | 'others'>): Help => {
    const then = readyOf(changed, planDays(changed, { effort }));
    const own = then.find((one) => one.orderId === orderId)!;
    return {
      ...help,
      // A try in which it is not planned at all helps nothing.
      late: own.ends === null ? Infinity : own.late,
      others: laterThan(now, then).filter((one) => one.orderId !== orderId).length,
    };
  };
  const own = job.runs.filter(({ order }) => order === orderId);
  const cuts = cutsOf(job, own);
  const sewn = own.filter(({ does }) => does === 'sew').sort((a, b) => b.minutes - a.minutes)[0];
  const tries: Help[] = [
    tried(
      { ...job, orders: job.orders.map((one) => (one.id === orderId ? { ...one, weight: FIRST } : one)) },
      { sort: 'first' },
    ),
    ...cuts.map((cut) => tried(ahead(job, cut.id), { sort: 'earlier', runId: cut.id })),
    ...cuts
      .filter(({ id }) => facts.looseCuts.includes(id))
      .flatMap((cut) =>
        soonest(
          plan,
          facts.openCuts.filter((id) => id !== cut.id),
        ).map((id) => tried(joined(job, cut, id), { sort: 'join', runId: cut.id, withRun: id })),
      ),
    ...othersFor(job, plan, sewn).map((personId) =>
      tried(
        { ...job, runs: job.runs.map((run) => (run === sewn ? { ...run, person: personId } : run)) },
        { sort: 'move', personId, runId: sewn!.id },
      ),
    ),
    ...(sewn && (facts.covers.get(sewn.id) ?? 1) > 1 && job.people.filter(({ does }) => does.includes('sew')).length > 1
      ? [tried(shared(job, sewn, facts.covers.get(sewn.id)!), { sort: 'share', runId: sewn.id })]
      : []),
    ...job.people.map((person) =>
      tried(
        { ...job, people: job.people.map((one) => (one === person ? longer(one) : one)) },
        { sort: 'hour', personId: person.id },
      ),
    ),
    ...(own.some(({ person }) => person !== null)
      ? [
          tried(
            { ...job, runs: job.runs.map((run) => (run.order === orderId ? { ...run, person: null } : run)) },
            { sort: 'anyone' },
          ),
        ]
      : []),
  ];
  const inTime = readyInTime(job, plan, orderId, facts.covers);
  return [
    ...tries
      .filter(({ late }) => before - late >= Math.min(LEAST, before))
      .sort((a, b) => a.late - b.late || a.others - b.others),
    // The rest of it stays as late as it is.
    ...(inTime ? [{ sort: 'part' as const, inTime, late: before, others: 0 }] : []),
  ];
}

/** The runs of cutting that runs wait for. */
function cutsOf(job: DayJob, own: readonly DayRun[]): DayRun[] {
  const ids = new Set(own.flatMap(({ id, after }) => [id, ...after]));
  return job.runs.filter(({ id, does }) => does === 'cut' && ids.has(id));
}

/** A job in which one run goes before everything. */
const ahead = (job: DayJob, id: string): DayJob => ({
  ...job,
  runs: job.runs.map((run) => (run.id === id ? { ...run, order: AHEAD } : run)),
  orders: [...job.orders, { id: AHEAD, due: job.from, weight: FIRST }],
});

/** Those runs that end first by a plan. */
const soonest = (plan: DayPlan, ids: readonly string[]): string[] =>
  plan.runs
    .filter(({ id }) => ids.includes(id))
    .sort((a, b) => endOf(a) - endOf(b))
    .slice(0, MOST_TRIED)
    .map(({ id }) => id);

/** A job in which a line is cut with a batch: its minutes and its day go there, the setting up once. */
const joined = (job: DayJob, cut: DayRun, withId: string): DayJob => ({
  ...job,
  runs: job.runs
    .filter((run) => run !== cut)
    .map((run) =>
      run.id === withId
        ? {
            ...run,
            minutes: run.minutes + cut.minutes,
            earliest: cut.earliest === null ? run.earliest : Math.max(cut.earliest, run.earliest ?? 0),
          }
        : { ...run, after: run.after.map((id) => (id === cut.id ? withId : id)) },
    ),
});

/** Others who can do a run, where one of them has it by a plan. */
function othersFor(job: DayJob, plan: DayPlan, run: DayRun | undefined): string[] {
  const has = plan.runs.find(({ id }) => id === run?.id)?.person;
  if (!run || has === undefined) return [];
  return job.people
    .filter(({ id, does }) => id !== has && does.includes(run.does))
    .slice(0, MOST_TRIED)
    .map(({ id }) => id);
}

/** A job in which two people sew a run, each about half of its covers. */
function shared(job: DayJob, run: DayRun, covers: number): DayJob {
  const first = Math.max(1, Math.round((run.minutes * Math.ceil(covers / 2)) / covers));
  const second = `${run.id} second half`;
  return {
    ...job,
    runs: [
      ...job.runs.map((one) =>
        one === run
          ? { ...one, minutes: first, person: null }
          : one.after.includes(run.id)
            ? { ...one, after: [...one.after, second] }
            : one,
      ),
      { ...run, id: second, minutes: Math.max(1, run.minutes - first), person: null },
    ],
  };
}

/** Covers of an order that are through by its promised day, and all that it still has; null where it is none or all of them. */
function readyInTime(job: DayJob, plan: DayPlan, orderId: string, covers: RunFacts['covers']): [number, number] | null {
  const due = job.orders.find(({ id }) => id === orderId)?.due ?? 0;
  const checks = job.runs.filter(({ order, does }) => order === orderId && does === 'check');
  const ends = new Map(plan.runs.map((run) => [run.id, endOf(run)]));
  const sum = (some: readonly DayRun[]) => some.reduce((all, { id }) => all + (covers.get(id) ?? 0), 0);
  const inTime = sum(checks.filter(({ id }) => (ends.get(id) ?? Infinity) <= due));
  const all = sum(checks);
  return inTime > 0 && inTime < all ? [inTime, all] : null;
}

/** A person who stays an hour longer on their next days: the last window of each goes on. */
function longer(person: DayJob['people'][number]): DayJob['people'][number] {
  const days = [...new Set(person.windows.map(([begins]) => Math.floor(begins / DAY_MIN)))].slice(0, LONGER_DAYS);
  return {
    ...person,
    windows: person.windows.map(([begins, ends], i): [number, number] => {
      const day = Math.floor(begins / DAY_MIN);
      const next = person.windows[i + 1];
      const isLast = next === undefined || Math.floor(next[0] / DAY_MIN) !== day;
      return days.includes(day) && isLast ? [begins, ends + 60] : [begins, ends];
    }),
  };
}

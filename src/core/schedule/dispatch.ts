import { endOf, workAt, type Model } from './model';

/** A way of choosing who does what next (after the apparent-tardiness-cost rule with setups: Lee, Bhaskaran and Pinedo, 1997). */
export interface DispatchRule {
  /** Minutes of the clock over which a promise makes itself felt. */
  lookAhead: number;
  /** Weight of setting up: 0 leaves it out. */
  setups: number;
  /** How much people are kept for what few can do: 0 not at all. */
  skills: number;
}

/** A plan as the builder takes it: the runs in the order in which they begin, and who does each. */
export interface Sequence {
  runs: Int32Array;
  people: Int32Array;
}

/** Minutes of the clock for a minute of work, roughly: people work a third of the day. */
const CLOCK_OF_WORK = 3;

/** The work (minutes) that still comes after each run on its longest way, and of its whole order. */
function workAfter(model: Model) {
  const tail = new Float64Array(model.count);
  const left = model.after.map((list) => list.length);
  const sorted: number[] = [];
  for (let run = 0; run < model.count; run++) if (left[run] === 0) sorted.push(run);
  for (let i = 0; i < sorted.length; i++)
    for (const one of model.next[sorted[i]!]!) if (--left[one]! === 0) sorted.push(one);
  for (const run of sorted.reverse())
    for (const one of model.next[run]!)
      tail[run] = Math.max(tail[run]!, model.minutes[one]! * CLOCK_OF_WORK + model.wait[one]! + tail[one]!);
  const whole = new Float64Array(model.due.length);
  for (let run = 0; run < model.count; run++) whole[model.order[run]!]! += model.minutes[run]!;
  return { tail, whole };
}

/** Lets each person who is free take what presses most, moment after moment. */
// eslint-disable-next-line max-lines-per-function -- one loop over the moments of a plan; its state is all that it is about
export function dispatch(model: Model, { lookAhead, setups, skills }: DispatchRule): Sequence {
  const { count } = model;
  const { tail, whole } = workAfter(model);
  const ready = Float64Array.from(model.earliest);
  const left = Int32Array.from(model.after, (list) => list.length);
  const free = Float64Array.from(model.calendars, (calendar) => workAt(calendar, model.job.from));
  const setting = new Int32Array(free.length).fill(-1);
  const seats = Array.from(model.seats, (some) => new Float64Array(some));
  const runs: number[] = [];
  const people = new Int32Array(count).fill(-1);
  const starts = new Float64Array(count);
  const open: number[] = [];
  for (let run = 0; run < count; run++) if (left[run] === 0) open.push(run);
  const persons = free.length;
  const can = new Uint8Array(count * persons);
  model.people.forEach((list, run) => list.forEach((person) => (can[run * persons + person] = 1)));
  const kept = model.people.map(({ length }) => Math.pow(Math.max(1, length), -skills));
  /** When the next seat of each place is free. */
  const placeFree = new Float64Array(seats.length);
  const dueOf = (run: number) => {
    const at = model.at[run]!;
    return (Number.isNaN(at) ? model.due[model.order[run]!]! : at) - tail[run]!;
  };
  const placeOf = (run: number): number => {
    let best = -1;
    for (const place of model.places[run]!) if (best < 0 || placeFree[place]! < placeFree[best]!) best = place;
    return best;
  };
  while (open.length > 0) {
    let person = -1;
    for (let p = 0; p < free.length; p++) if (free[p]! < (person < 0 ? Infinity : free[person]!)) person = p;
    if (person < 0) break;
    const now = free[person]!;
    const calendar = model.calendars[person]!;
    let best = -1;
    let bestScore = -1;
    let later = Infinity;
    for (const run of open) {
      if (can[run * persons + person] === 0) continue;
      const place = placeOf(run);
      const from = place < 0 ? Infinity : Math.max(ready[run]!, placeFree[place]!);
      if (from > now) {
        if (from < later) later = from;
        continue;
      }
      const setup = setting[person]! >= 0 && setting[person] === model.setting[run] ? 0 : model.setup[run]!;
      const work = model.minutes[run]! + setup;
      const slack = Math.max(0, dueOf(run) - now - work * CLOCK_OF_WORK);
      const order = model.order[run]!;
      const score =
        ((model.weight[order]! + 0.001) / Math.max(1, whole[order]!)) *
        Math.exp(-slack / lookAhead - (setups * setup) / 15) *
        kept[run]!;
      if (score > bestScore) {
        bestScore = score;
        best = run;
      }
    }
    if (best < 0) {
      // Nothing for this person yet: until something is, or somebody else makes it so.
      let others = Infinity;
      for (let p = 0; p < free.length; p++) if (p !== person && free[p]! > now && free[p]! < others) others = free[p]!;
      const next = Math.min(later, others);
      free[person] = next === Infinity ? Infinity : workAt(calendar, next);
      continue;
    }
    const setup = setting[person]! >= 0 && setting[person] === model.setting[best] ? 0 : model.setup[best]!;
    const end = endOf(calendar, now, model.minutes[best]! + setup);
    if (end === Infinity) {
      // Somebody else may still have the time for it.
      can[best * persons + person] = 0;
      if (!model.people[best]!.some((one) => can[best * persons + one] === 1)) open.splice(open.indexOf(best), 1);
      continue;
    }
    const place = placeOf(best);
    const own = seats[place]!;
    own[own.indexOf(placeFree[place]!)] = end;
    placeFree[place] = own.reduce((least, one) => Math.min(least, one), Infinity);
    free[person] = workAt(calendar, end);
    setting[person] = model.setting[best]!;
    people[best] = person;
    starts[best] = now;
    runs.push(best);
    open.splice(open.indexOf(best), 1);
    for (const one of model.next[best]!) {
      ready[one] = Math.max(ready[one]!, end + model.wait[one]!);
      if (--left[one]! === 0) open.push(one);
    }
  }
  const byStart = runs.sort((a, b) => starts[a]! - starts[b]!);
  return withTheRest(model, byStart, people);
}

/** The sequence with what was not planned at its end, each after what comes before it. */
function withTheRest(model: Model, planned: readonly number[], people: Int32Array): Sequence {
  const done = new Set<number>();
  const runs: number[] = [];
  const add = (run: number) => {
    if (done.has(run)) return;
    done.add(run);
    for (const before of model.after[run]!) add(before);
    if (people[run]! < 0) people[run] = model.people[run]![0] ?? -1;
    runs.push(run);
  };
  for (const run of planned) add(run);
  for (let run = 0; run < model.count; run++) add(run);
  return { runs: Int32Array.from(runs), people };
}

import type { DayJob } from './day-job';

/** The working time of a person: windows with the minutes of work before each. */
interface Calendar {
  starts: Float64Array;
  ends: Float64Array;
  before: Float64Array;
}

/** A day job in arrays by number: what the search runs on. */
export interface Model {
  job: DayJob;
  /** Runs in numbers. */
  count: number;
  minutes: Float64Array;
  setup: Float64Array;
  /** Setting by number; -1 for none. */
  setting: Int32Array;
  wait: Float64Array;
  /** Not before: `from` or the day that its cloth comes. */
  earliest: Float64Array;
  order: Int32Array;
  after: readonly Int32Array[];
  next: readonly Int32Array[];
  /** Who can do a run, and where; those of a lock alone. */
  people: readonly Int32Array[];
  places: readonly Int32Array[];
  /** The time at which it is locked; NaN for none. */
  at: Float64Array;
  hasLocks: boolean;
  calendars: readonly Calendar[];
  seats: Int32Array;
  due: Float64Array;
  weight: Float64Array;
  runsOf: readonly Int32Array[];
  /** The end of all windows: what is not planned counts to there. */
  last: number;
}

export function modelOf(job: DayJob): Model {
  const { from, people, places, runs, orders } = job;
  const settings = new Map<string, number>();
  const numberOf = new Map(runs.map(({ id }, i) => [id, i]));
  const orderOf = new Map(orders.map(({ id }, i) => [id, i]));
  const next: number[][] = runs.map(() => []);
  const after = runs.map((run, i) => {
    const before = [...new Set(run.after)].map((id) => numberOf.get(id)!);
    for (const one of before) next[one]!.push(i);
    return Int32Array.from(before);
  });
  const whoDoes = (does: string, person: string | null) =>
    people.flatMap((one, i) => (one.does.includes(does) && (person === null || one.id === person) ? [i] : []));
  return {
    job,
    count: runs.length,
    minutes: Float64Array.from(runs, (run) => run.minutes),
    setup: Float64Array.from(runs, (run) => run.setup),
    setting: Int32Array.from(runs, ({ setting }) => {
      if (setting === null) return -1;
      if (!settings.has(setting)) settings.set(setting, settings.size);
      return settings.get(setting)!;
    }),
    wait: Float64Array.from(runs, (run) => run.wait),
    earliest: Float64Array.from(runs, (run) => Math.max(from, run.earliest ?? from)),
    order: Int32Array.from(runs, (run) => orderOf.get(run.order)!),
    after,
    next: next.map((list) => Int32Array.from(list)),
    people: runs.map(({ does, person }) => Int32Array.from(whoDoes(does, person))),
    places: runs.map(({ does }) => Int32Array.from(places.flatMap((one, i) => (one.does.includes(does) ? [i] : [])))),
    at: Float64Array.from(runs, ({ at }) => at ?? NaN),
    hasLocks: runs.some(({ at }) => at !== null),
    calendars: people.map(({ windows }) => {
      let sum = 0;
      return {
        starts: Float64Array.from(windows, ([begins]) => begins),
        ends: Float64Array.from(windows, ([, ends]) => ends),
        before: Float64Array.from(windows, ([begins, ends]) => {
          sum += ends - begins;
          return sum - (ends - begins);
        }),
      };
    }),
    seats: Int32Array.from(places, ({ seats }) => seats),
    due: Float64Array.from(orders, ({ due }) => due),
    weight: Float64Array.from(orders, ({ weight }) => weight),
    runsOf: orders.map((_, i) =>
      Int32Array.from(runs.flatMap(({ order }, k) => (orderOf.get(order) === i ? [k] : []))),
    ),
    last: Math.max(from, ...people.flatMap(({ windows }) => windows.map(([, ends]) => ends))),
  };
}

/** The window of a calendar in which `minute` lies or which comes next; their number where none does. */
export function windowAt({ ends }: Calendar, minute: number): number {
  let low = 0;
  let high = ends.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (ends[middle]! > minute) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The first minute at or after `minute` in which a person works; Infinity where none is left. */
export function workAt(calendar: Calendar, minute: number): number {
  const i = windowAt(calendar, minute);
  return i < calendar.ends.length ? Math.max(minute, calendar.starts[i]!) : Infinity;
}

/** The minute at which so much work ends that begins at `start`, a minute of work; Infinity where the windows do not suffice. */
export function endOf(calendar: Calendar, start: number, work: number): number {
  const { starts, ends, before } = calendar;
  let i = windowAt(calendar, start);
  if (i >= ends.length) return Infinity;
  const done = before[i]! + (start - starts[i]!) + work;
  if (start + work <= ends[i]!) return start + work;
  let low = i + 1;
  let high = ends.length;
  // The first window by whose end so much is done.
  while (low < high) {
    const middle = (low + high) >> 1;
    if (before[middle]! + ends[middle]! - starts[middle]! >= done) high = middle;
    else low = middle + 1;
  }
  i = low;
  return i < ends.length ? starts[i]! + (done - before[i]!) : Infinity;
}

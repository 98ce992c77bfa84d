import Joi from 'joi';
import { refuse, type Result } from '../result';
import { endOfDay, minuteOf } from './wall-clock';

/** A day job as it is computed with: all times in minutes of the wall clock (`wall-clock.ts`). */
export interface DayJob {
  from: number;
  people: DayPerson[];
  places: DayPlace[];
  runs: DayRun[];
  orders: DayOrder[];
}

export interface DayPerson {
  id: string;
  does: string[];
  /** Stretches of work in their order, apart from each other. */
  windows: [number, number][];
}

export interface DayPlace {
  id: string;
  does: string[];
  /** Runs at once. */
  seats: number;
}

export interface DayRun {
  id: string;
  order: string;
  does: string;
  /** Minutes of work without the setting up, and those of the setting up, spared after a run of the same person with the same setting. */
  minutes: number;
  setup: number;
  setting: string | null;
  /** It begins at least `wait` minutes of the clock after the last of these ends. */
  after: string[];
  wait: number;
  earliest: number | null;
  /** Locked by hand. */
  person: string | null;
  at: number | null;
}

export interface DayOrder {
  id: string;
  /** The minute at which the promised day ends. */
  due: number;
  weight: number;
}

const word = Joi.string().min(1).max(200);
const name = word.required();
const time = Joi.string().custom((text: string, helpers) => minuteOf(text) ?? helpers.error('time'));
const minutes = Joi.number().integer().min(0).max(1_000_000);
const MOST = { people: 200, places: 200, runs: 20_000, windows: 5_000 };

const shape = Joi.object({
  format: Joi.string().valid('jolly-bolt/day-job').required(),
  version: Joi.number().valid(1).required(),
  from: time.required(),
  people: Joi.array()
    .items(
      Joi.object({
        id: name,
        does: Joi.array().items(word).required(),
        windows: Joi.array()
          .items(Joi.array().ordered(time.required(), time.required()).length(2))
          .max(MOST.windows)
          .required(),
      }).unknown(),
    )
    .max(MOST.people)
    .required(),
  places: Joi.array()
    .items(
      Joi.object({
        id: name,
        does: Joi.array().items(word).required(),
        seats: Joi.number().integer().min(1).max(10_000).default(1),
      }).unknown(),
    )
    .max(MOST.places)
    .required(),
  runs: Joi.array()
    .items(
      Joi.object({
        id: name,
        order: name,
        does: name,
        minutes: minutes.min(1).required(),
        setting: Joi.string().max(200).default(null),
        setup: minutes.default(0),
        after: Joi.array().items(word).default([]),
        wait: minutes.default(0),
        earliest: time.default(null),
        person: Joi.string().max(200).default(null),
        at: time.default(null),
      }).unknown(),
    )
    .max(MOST.runs)
    .required(),
  orders: Joi.array()
    .items(
      Joi.object({
        id: name,
        promised: Joi.string()
          .required()
          .custom((text: string, helpers) => endOfDay(text) ?? helpers.error('day')),
        weight: Joi.number().min(0).max(1_000_000).default(1),
      }).unknown(),
    )
    .required(),
})
  .unknown()
  .messages({
    time: '{{#label}} must be a time like 2026-12-01T08:00',
    day: '{{#label}} must be a day like 2026-12-04',
  });

interface Given extends Omit<DayJob, 'orders'> {
  orders: { id: string; promised: number; weight: number }[];
}

const no = (message: string) => refuse('day-job', '', message);

/** Reads a day job of version 1 (the format's own page is docs/formats/day-job.md): the job, or one sentence on what is wrong with it. */
export function readDayJob(json: unknown): Result<DayJob> {
  const { value, error } = shape.validate(json, { convert: true });
  if (error) return no(`This is no day job: ${error.message}.`);
  const { from, people, places, runs, orders } = value as Given;
  for (const [what, list] of Object.entries({ people, places, runs, orders })) {
    const twice = twiceIn(list.map(({ id }) => id));
    if (twice !== null) return no(`${twice} is twice among the ${what}.`);
  }
  for (const { id, windows } of people)
    for (const [i, [begins, ends]] of windows.entries()) {
      if (begins >= ends) return no(`A window of ${id} ends before it begins.`);
      if (i > 0 && windows[i - 1]![1] > begins) return no(`The windows of ${id} overlap or are not in order.`);
    }
  const known = { person: new Set(people.map(({ id }) => id)), run: new Set(runs.map(({ id }) => id)) };
  const ordered = new Set(orders.map(({ id }) => id));
  for (const run of runs) {
    if (!ordered.has(run.order)) return no(`Run ${run.id} is of order ${run.order}, which is not there.`);
    const strange = run.after.find((one) => !known.run.has(one));
    if (strange !== undefined) return no(`Run ${run.id} comes after ${strange}, which is not there.`);
    if (run.person !== null && !known.person.has(run.person))
      return no(`Run ${run.id} is locked to ${run.person}, who is not there.`);
  }
  const ring = ringIn(runs);
  if (ring !== null) return no(`Run ${ring} would have to wait for itself.`);
  return {
    ok: true,
    value: {
      from,
      people,
      places,
      runs,
      orders: orders.map(({ id, promised, weight }) => ({ id, due: promised, weight })),
    },
  };
}

function twiceIn(ids: readonly string[]): string | null {
  const seen = new Set<string>();
  for (const id of ids) {
    if (seen.has(id)) return id;
    seen.add(id);
  }
  return null;
}

/** A run that waits for itself in the end; null where none does. */
function ringIn(runs: readonly DayRun[]): string | null {
  const left = new Map(runs.map(({ id, after }) => [id, new Set(after)]));
  const next = new Map<string, string[]>();
  for (const { id, after } of runs) for (const one of new Set(after)) next.set(one, [...(next.get(one) ?? []), id]);
  const free = runs.filter(({ after }) => after.length === 0).map(({ id }) => id);
  for (let id = free.pop(); id !== undefined; id = free.pop()) {
    left.delete(id);
    for (const one of next.get(id) ?? []) {
      const waits = left.get(one);
      if (waits?.delete(id) && waits.size === 0) free.push(one);
    }
  }
  return left.keys().next().value ?? null;
}

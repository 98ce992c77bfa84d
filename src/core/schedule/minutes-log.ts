import Joi from 'joi';
import { refuse, type Result } from '../result';

/** A workroom's own list: minutes of setting up, and for one cover of a kind. */
export interface ListedKind {
  kind: string;
  setup: number;
  each: number;
}

/** Work that is asked about: so many covers of a kind, each with so many metres of seam; `person` null: whoever it is. */
export interface Work {
  kind: string;
  options: string[];
  seam: number;
  person: string | null;
  covers: number;
}

/** Work that was done: minutes of setting up, and of all its covers without it. */
export interface LoggedCase extends Work {
  setup: number;
  minutes: number;
}

export interface MinutesLog {
  list: ListedKind[];
  cases: LoggedCase[];
  asked: Work[];
}

const word = Joi.string().min(1).max(200);
const name = word.required();
const positive = Joi.number().greater(0).max(1e7).required();
const work = {
  kind: name,
  options: Joi.array().items(word).default([]),
  seam: positive,
  person: Joi.string().max(200).allow(null).default(null),
  covers: Joi.number().integer().min(1).max(100_000).required(),
};
const shape = Joi.object({
  format: Joi.string().valid('jolly-bolt/minutes-log').required(),
  version: Joi.number().valid(1).required(),
  list: Joi.array()
    .items(Joi.object({ kind: name, setup: Joi.number().min(0).max(1e6).required(), each: positive }).unknown())
    .required(),
  cases: Joi.array()
    .items(Joi.object({ ...work, setup: Joi.number().min(0).max(1e6).required(), minutes: positive }).unknown())
    .max(100_000)
    .required(),
  asked: Joi.array().items(Joi.object(work).unknown()).max(100_000).required(),
}).unknown();

/** Reads a minutes log of version 1 (docs/formats/day-job.md): the log, or one sentence on what is wrong with it. */
export function readMinutesLog(json: unknown): Result<MinutesLog> {
  const { value, error } = shape.validate(json);
  return error
    ? refuse('minutes-log', '', `This is no minutes log: ${error.message}.`)
    : { ok: true, value: value as MinutesLog };
}

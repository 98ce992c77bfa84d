import { MOST_BYTES } from './limits';
import { readJob, readPlan, type LayJob, type LayPlan } from '../lay';
import { refuse, type Result } from '../result';

const DEEPEST = 64;

/** Parses JSON text of an open format; refuses what is too large, too deeply nested or not JSON in one line. */
export function parseJson(text: string): Result<unknown> {
  if (text.length > MOST_BYTES) return refuse('json-large', 'file', `the file has more than ${MOST_BYTES / 1e6} MB`);
  if (depthOf(text) > DEEPEST)
    return refuse('json-deep', 'file', `the file is nested more than ${DEEPEST} levels deep`);
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch (error) {
    return refuse('json', 'file', `the file is not JSON: ${(error as Error).message.replace(/\s+/g, ' ')}`);
  }
}

function depthOf(text: string): number {
  let deepest = 0;
  let depth = 0;
  let inText = false;
  for (let i = 0; i < text.length; i++) {
    const sign = text[i];
    if (inText) {
      if (sign === '\\') i++;
      else if (sign === '"') inText = false;
    } else if (sign === '"') inText = true;
    else if (sign === '{' || sign === '[') deepest = Math.max(deepest, ++depth);
    else if (sign === '}' || sign === ']') depth--;
  }
  return deepest;
}

/** Reads the text of a lay job. */
export function parseLayJob(text: string): Result<LayJob> {
  const json = parseJson(text);
  return json.ok ? readJob(json.value) : json;
}

/** Reads the text of a lay plan of a job. */
export function parseLayPlan(text: string, job: LayJob): Result<LayPlan> {
  const json = parseJson(text);
  return json.ok ? readPlan(json.value, job) : json;
}

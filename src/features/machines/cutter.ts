import 'server-only';
import Joi from 'joi';
import { keepableText } from '@/features/commands/keepable-text';
import { exportLay } from '@/features/table/export-lay';
import { CUTTER_STATES } from '@/db/schema/machines';
import { patience } from './patience';
import { ask } from './talk';

/** How a lay stands at the cutter, as the cutter says it. */
export interface CutterAnswer {
  id: string;
  state: (typeof CUTTER_STATES)[number];
  progress: number;
  seconds: number | null;
  faults: string[];
}

const NAME = 'The cutter';

const text = keepableText().allow('').max(300);
const answerRules = Joi.object({
  id: Joi.string()
    .pattern(/^[\w-]{1,80}$/)
    .required(),
  state: Joi.string().valid('waiting', 'cutting', 'done', 'stopped', 'failed').required(),
  progress: Joi.number().min(0).max(1).required(),
  seconds: Joi.number().min(0).max(1e7).allow(null).default(null),
  faults: Joi.array().items(text).max(50).default([]),
}).unknown();
const refusalRules = Joi.object({ faults: Joi.array().items(text).min(1).max(50).required() }).unknown();

function read<T>(rules: Joi.Schema, body: string): T | null {
  try {
    const { value, error } = rules.validate(JSON.parse(body), { stripUnknown: true });
    return error ? null : (value as T);
  } catch {
    return null;
  }
}

const nonsense = (address: string) => `${NAME} at ${address} answers something that can’t be read.`;
const jobUrl = (address: string, id: string) => `${address.replace(/\/$/, '')}/jobs/${id}`;

/** Sends a lay to the cutter as DXF; what it made of it, or the sentences that say why it did not. */
export async function sendToCutter(
  address: string,
  batchId: number,
  clothId: number,
  name: string,
): Promise<CutterAnswer | { messages: string[] }> {
  const file = await exportLay(batchId, clothId, 'dxf', 'a4');
  if (!file || 'message' in file) return { messages: ['There is no such lay.'] };
  const url = `${address.replace(/\/$/, '')}/jobs?name=${encodeURIComponent(name)}`;
  const answer = await ask(url, {
    name: NAME,
    method: 'POST',
    body: file.bytes,
    type: file.type,
    within: patience.cutterTakes,
  });
  if (!answer.ok) return { messages: [answer.message] };
  if (answer.status === 201) return read<CutterAnswer>(answerRules, answer.text) ?? { messages: [nonsense(address)] };
  return { messages: read<{ faults: string[] }>(refusalRules, answer.text)?.faults ?? [nonsense(address)] };
}

/** How a job stands; `lost` where the cutter no longer knows it, the sentence where it does not answer. */
export async function lookAtCutter(address: string, id: string): Promise<CutterAnswer | 'lost' | { message: string }> {
  const answer = await ask(jobUrl(address, id), { name: NAME, within: patience.cutterTells });
  if (!answer.ok) return answer;
  if (answer.status === 404) return 'lost';
  return (
    (answer.status === 200 ? read<CutterAnswer>(answerRules, answer.text) : null) ?? { message: nonsense(address) }
  );
}

/** Asks the cutter to stop a job. */
export async function stopCutter(address: string, id: string): Promise<CutterAnswer | { message: string }> {
  const answer = await ask(`${jobUrl(address, id)}/stop`, {
    name: NAME,
    method: 'POST',
    body: '',
    type: 'text/plain',
    within: patience.cutterTells,
  });
  if (!answer.ok) return answer;
  return read<CutterAnswer>(answerRules, answer.text) ?? { message: nonsense(address) };
}

import Joi from 'joi';
import { FITS, PROVIDED, ROLES, TAKEN } from '@/core/covers';
import { DIRECTIONS, WIDE_WAYS } from '@/core/cutlist';
import type { Fault } from '@/core/result';
import { MOST_SHEET_ROWS, type Sheet } from '@/core/files';
import { calendarDay } from '@/features/commands/calendar-day';
import { keepableText } from '@/features/commands/keepable-text';
import type { OrderForm } from './form';

const MOST_LINES = 500;
const text = (most: number) => keepableText().allow('').max(most);

const line = Joi.object({
  id: Joi.number().integer().positive().max(2_147_483_647).allow(null).required(),
  kind: keepableText().max(60).required(),
  kindVersion: Joi.number().integer().min(1).max(2_147_483_647).required(),
  qty: text(20).required(),
  fit: Joi.string()
    .valid(...FITS)
    .required(),
  measuredAs: Joi.string()
    .valid(...TAKEN)
    .required(),
  taken: Joi.object()
    .pattern(keepableText().max(40), Joi.string().valid(...TAKEN))
    .max(40)
    .default({}),
  matching: Joi.string().valid('none', 'alike', 'centred').required(),
  typed: Joi.object().pattern(keepableText().max(40), text(80)).max(40).required(),
  choices: Joi.object().pattern(keepableText().max(40), text(40)).max(40).required(),
  outline: text(20_000).required(),
  directions: Joi.object()
    .pattern(keepableText().max(80), Joi.string().valid(...DIRECTIONS))
    .max(60)
    .required(),
  panels: Joi.object()
    .pattern(keepableText().max(80), Joi.string().valid(...WIDE_WAYS))
    .max(60)
    .required(),
  provided: Joi.object()
    .pattern(keepableText().max(80), Joi.string().valid(...PROVIDED))
    .max(40)
    .default({}),
  notions: Joi.object()
    .pattern(keepableText().max(80), Joi.string().pattern(/^\d*$/).max(12).allow(''))
    .max(40)
    .default({}),
  cloth: Joi.object()
    .pattern(Joi.string().valid(...ROLES), Joi.string().pattern(/^\d*$/).max(12).allow(''))
    .required(),
  frozenBy: Joi.string().max(200),
});

/** The shape of an order as the form sends it; what its lengths mean is read by `readLineForm`. */
const order = Joi.object<OrderForm>({
  customer: keepableText().trim().min(1).max(120).required().messages({
    'string.empty': 'Say who the order is for.',
    'string.max': 'A customer’s name has at most 120 letters.',
    'any.required': 'Say who the order is for.',
  }),
  due: calendarDay('Choose the day when it is due.').required(),
  promise: Joi.object({
    ready: calendarDay('This is no day of a plan.').allow(null).required(),
    safe: calendarDay('This is no day of a plan.').allow(null).required(),
    why: text(200).required().messages({ 'string.max': 'A reason has at most 200 letters.' }),
  }),
  units: Joi.string().valid('in', 'mm', 'millimetres').required(),
  notes: text(4000).required().messages({ 'string.max': 'Notes have at most 4,000 letters.' }),
  lines: Joi.array()
    .items(line)
    .min(1)
    .max(MOST_LINES)
    .required()
    .messages({
      'array.min': 'An order needs at least one line.',
      'array.max': `An order has at most ${MOST_LINES} lines.`,
    }),
});

/** The order as a clean value, or the faults by field (`customer`, `lines.0.qty`). */
export function readOrderForm(input: unknown): { value: OrderForm } | { faults: Fault[] } {
  const { value, error } = order.validate(input, { abortEarly: false, stripUnknown: true });
  if (!error) return { value: value as OrderForm };
  return { faults: error.details.map(({ path, message, type }) => ({ code: type, field: path.join('.'), message })) };
}

interface SentSheet {
  sheet: Sheet;
  fields: string[];
  isPartial: boolean;
  isMeant: boolean;
}

const sheetImport = Joi.object<SentSheet>({
  sheet: Joi.object({
    columns: Joi.array().items(Joi.string().allow('').max(4000)).max(200).required(),
    rows: Joi.array()
      .items(Joi.array().items(Joi.string().allow('').max(4000)).max(200))
      .max(MOST_SHEET_ROWS)
      .required(),
  }).required(),
  fields: Joi.array().items(text(80)).max(200).required(),
  isPartial: Joi.boolean().default(false),
  isMeant: Joi.boolean().default(false),
});

/** A sheet and what its columns mean, as the import page sends them. */
export function readImport(json: string): { value: SentSheet } | { faults: Fault[] } {
  try {
    const { value, error } = sheetImport.validate(JSON.parse(json), { convert: false });
    if (!error) return { value: value as SentSheet };
  } catch {
    // Not JSON: told as any other wrong shape.
  }
  return { faults: [{ code: 'sheet', field: 'file', message: 'This is not a table with its columns.' }] };
}

import Joi from 'joi';
import { FITS, ROLES } from '@/core/covers';
import type { Fault } from '@/core/result';
import type { OrderForm } from './form';

const MOST_LINES = 500;
const text = (most: number) => Joi.string().allow('').max(most);

const line = Joi.object({
  id: Joi.number().integer().positive().allow(null).required(),
  kind: Joi.string().max(60).required(),
  qty: text(20).required(),
  fit: Joi.string()
    .valid(...FITS)
    .required(),
  measuredAs: Joi.string().valid('finished', 'cut').required(),
  matching: Joi.string().valid('none', 'alike', 'centred').required(),
  typed: Joi.object().pattern(Joi.string().max(40), text(80)).max(40).required(),
  choices: Joi.object().pattern(Joi.string().max(40), text(40)).max(40).required(),
  cloth: Joi.object()
    .pattern(Joi.string().valid(...ROLES), Joi.string().pattern(/^\d*$/).max(12).allow(''))
    .required(),
  frozenBy: Joi.string().max(200),
});

/** The shape of an order as the form sends it; what its lengths mean is read by `readLineForm`. */
const order = Joi.object<OrderForm>({
  customer: Joi.string().trim().min(1).max(120).required().messages({
    'string.empty': 'Say who the order is for.',
    'string.max': 'A customer’s name has at most 120 letters.',
    'any.required': 'Say who the order is for.',
  }),
  due: Joi.string().isoDate().required().messages({ '*': 'Choose the day when it is due.' }),
  units: Joi.string().valid('in', 'mm').required(),
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

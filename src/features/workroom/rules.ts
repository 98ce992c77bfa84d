import Joi from 'joi';
import { SCHOOLS } from '@/core/covers';
import { FITS } from '@/core/covers';
import type { Fault } from '@/core/result';
import { keepableText } from '@/features/commands/keepable-text';
import type { WorkroomAddress, WorkroomRules } from './form';
import type { CostingForm } from '@/core/cost/costing-form';

const rules = Joi.object<WorkroomRules>({
  units: Joi.string().valid('in', 'mm').required(),
  seam: keepableText().allow('').max(40).required(),
  hem: keepableText().allow('').max(40).required(),
  fit: Joi.string()
    .valid('', ...FITS)
    .required(),
  grain: Joi.string().valid('', 'bias', 'straight').required(),
  schools: Joi.object(
    Object.fromEntries(SCHOOLS.map(({ id, choices }) => [id, Joi.string().valid(...choices.map((one) => one.id))])),
  ).default({}),
  dueDays: keepableText().allow('').max(10).required(),
});

/** The shape of the workroom's name and address. */
export const addressShape = Joi.object<WorkroomAddress>({
  name: keepableText()
    .trim()
    .allow('')
    .max(120)
    .required()
    .messages({ 'string.max': 'A name has at most 120 letters.' }),
  address: keepableText()
    .trim()
    .allow('')
    .max(400)
    .required()
    .messages({ 'string.max': 'An address has at most 400 letters.' }),
  contact: keepableText()
    .trim()
    .allow('')
    .max(120)
    .required()
    .messages({ 'string.max': 'A contact has at most 120 letters.' }),
  taxNumber: keepableText()
    .trim()
    .allow('')
    .max(60)
    .required()
    .messages({ 'string.max': 'A tax number has at most 60 letters.' }),
});

const short = keepableText().allow('').max(40).required();

/** The shape of what is calculated with; what the texts mean is read by `readCosting`. */
const costing = Joi.object<CostingForm>({
  hour: short,
  currency: short,
  usualMinutes: short,
  minutes: Joi.object().pattern(keepableText().max(60), keepableText().allow('').max(10)).max(200).required(),
  overhead: short,
  markup: short,
  taxName: short,
  tax: short,
  shareBy: Joi.string().valid('length', 'area').required(),
  quoteDays: short,
  leastAcross: short,
  leastAlong: short,
  units: Joi.string().valid('in', 'mm').required(),
});

export function readCostingShape(input: unknown): { value: CostingForm } | { faults: Fault[] } {
  const { value, error } = costing.validate(input, { abortEarly: false, stripUnknown: true });
  if (!error) return { value: value as CostingForm };
  return { faults: error.details.map(({ path, message, type }) => ({ code: type, field: path.join('.'), message })) };
}

/** The shape of the rules as their form sends them; what the texts mean is read by `rulesFaults`. */
export function readRules(input: unknown): { value: WorkroomRules } | { faults: Fault[] } {
  const { value, error } = rules.validate(input, { abortEarly: false, stripUnknown: true });
  if (!error) return { value: value as WorkroomRules };
  return { faults: error.details.map(({ path, message, type }) => ({ code: type, field: path.join('.'), message })) };
}

import Joi from 'joi';
import { FITS } from '@/core/covers';
import type { Fault } from '@/core/result';
import { keepableText } from '@/features/commands/keepable-text';
import type { WorkroomRules } from './form';

const rules = Joi.object<WorkroomRules>({
  units: Joi.string().valid('in', 'mm').required(),
  seam: keepableText().allow('').max(40).required(),
  hem: keepableText().allow('').max(40).required(),
  fit: Joi.string()
    .valid('', ...FITS)
    .required(),
  grain: Joi.string().valid('', 'bias', 'straight').required(),
  dueDays: keepableText().allow('').max(10).required(),
});

/** The shape of the rules as their form sends them; what the texts mean is read by `rulesFaults`. */
export function readRules(input: unknown): { value: WorkroomRules } | { faults: Fault[] } {
  const { value, error } = rules.validate(input, { abortEarly: false, stripUnknown: true });
  if (!error) return { value: value as WorkroomRules };
  return { faults: error.details.map(({ path, message, type }) => ({ code: type, field: path.join('.'), message })) };
}

import Joi from 'joi';
import type { Fault } from '@/core/result';
import { COUNTED_BY, NOTION_SORTS, ZIP_TEETH } from '@/core/stock';
import { keepableText } from '@/features/commands/keepable-text';
import type { MaterialForm } from './form';

const text = (most: number) => keepableText().allow('').max(most).required();
const word = (...words: readonly string[]) =>
  Joi.string()
    .valid(...words)
    .required();

const material = Joi.object<MaterialForm>({
  name: text(200),
  sort: word(...NOTION_SORTS),
  countedBy: word(...COUNTED_BY),
  packSize: text(12),
  sellingStep: text(60),
  length: text(60),
  width: keepableText().allow('').max(60).default(''),
  teeth: word('', ...ZIP_TEETH),
  supplier: text(120),
  price: text(20),
  currency: text(3),
  pricePer: word('yd', 'm', 'piece', 'pack'),
  usualFor: Joi.array().items(keepableText().max(60)).max(40).required(),
  notes: text(4000).messages({ 'string.max': 'Notes have at most 4,000 letters.' }),
});

/** The shape of a notion as its form sends it; what the texts mean is read by `readMaterial`. */
export function readMaterialShape(input: unknown): { value: MaterialForm } | { faults: Fault[] } {
  const { value, error } = material.validate(input, { abortEarly: false, stripUnknown: true });
  if (!error) return { value: value as MaterialForm };
  return { faults: error.details.map(({ path, message, type }) => ({ code: type, field: path.join('.'), message })) };
}

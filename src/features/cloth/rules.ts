import Joi from 'joi';
import type { Fault } from '@/core/result';
import { keepableText } from '@/features/commands/keepable-text';
import { FIBRES, GIVES, WEIGHTS } from '@/core/cloth';
import { CLOTH_SORTS } from '@/core/stock';
import { PATTERN_LABELS, TURN_LABELS, type ClothForm } from './form';

const text = (most: number) => keepableText().allow('').max(most).required();

const cloth = Joi.object<ClothForm>({
  name: text(200),
  units: Joi.string().valid('in', 'mm').required(),
  width: text(60),
  selvageLeft: text(60),
  selvageRight: text(60),
  repeatAcross: text(60),
  repeatAlong: text(60),
  drop: text(20),
  motifAcross: text(60),
  motifAlong: text(60),
  turns: Joi.string()
    .valid(...Object.keys(TURN_LABELS))
    .required(),
  fibre: Joi.string()
    .valid(...FIBRES)
    .required(),
  weight: Joi.string()
    .valid(...WEIGHTS)
    .required(),
  give: Joi.string()
    .valid(...GIVES)
    .required(),
  pattern: Joi.string()
    .valid(...Object.keys(PATTERN_LABELS))
    .required(),
  groundColour: text(7),
  figureColour: text(7),
  price: text(20),
  currency: text(3),
  pricePer: Joi.string().valid('yd', 'm', 'sheet').required(),
  sellingStep: text(60),
  supplier: text(120),
  sort: Joi.string()
    .valid(...CLOTH_SORTS)
    .required(),
  sheetLength: text(60),
  thickness: text(60),
  firmness: text(120),
  life: text(120),
  isWashed: Joi.boolean().strict().required(),
  shrinkAcross: text(10),
  shrinkAlong: text(10),
  isUsual: Joi.boolean().strict().required(),
  notes: text(4000).messages({ 'string.max': 'Notes have at most 4,000 letters.' }),
});

/** The shape of a cloth as its form sends it; what the texts mean is read by `readClothForm`. */
export function readClothShape(input: unknown): { value: ClothForm } | { faults: Fault[] } {
  const { value, error } = cloth.validate(input, { abortEarly: false, stripUnknown: true });
  if (!error) return { value: value as ClothForm };
  return { faults: error.details.map(({ path, message, type }) => ({ code: type, field: path.join('.'), message })) };
}

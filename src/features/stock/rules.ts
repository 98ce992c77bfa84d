import Joi from 'joi';
import { keepableText } from '@/features/commands/keepable-text';
import type { ReceiveForm } from './form';

const text = (most: number) => keepableText().allow('').max(most).required();

/** The shape of a receipt; what its texts mean is read by `readReceipt`. */
export const receiptShape = Joi.object<ReceiveForm>({
  what: Joi.string()
    .pattern(/^(cloth|material) \d{1,9}$/)
    .required()
    .messages({ '*': 'Choose what has come.' }),
  lot: text(80),
  width: text(60),
  selvageLeft: text(60),
  selvageRight: text(60),
  length: text(60),
  count: text(12),
  motifAcross: text(60),
  motifAlong: text(60),
  flaws: Joi.array()
    .items(Joi.object({ along: text(60), across: text(60), length: text(60), width: text(60) }))
    .max(100)
    .required()
    .messages({ 'array.max': 'A bolt with more than 100 flaws goes back.' }),
  outline: text(20_000).messages({ 'string.max': 'An outline of more than 20,000 letters is too long.' }),
  place: text(120),
  supplier: text(120),
  price: text(20),
  notes: text(4000).messages({ 'string.max': 'Notes have at most 4,000 letters.' }),
});

export const reason = keepableText()
  .trim()
  .min(1)
  .max(400)
  .required()
  .messages({ '*': 'Say why, in at most 400 letters.' });
export const quantityText = text(60);

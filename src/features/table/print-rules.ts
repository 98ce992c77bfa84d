import Joi from 'joi';
import { byRules } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';
import { OWN } from './label-sizes';

const side = Joi.number().min(OWN.least).max(OWN.most).required();

/** A print on the label printer: a batch's labels, their size (mm), and where their codes lead. */
export const readPrint = byRules<{
  batchId: number;
  what: string;
  size: { width: number; height: number };
  origin: string;
}>(
  Joi.object({
    batchId: recordId('batch'),
    what: Joi.string().valid('pieces', 'covers', 'lines').required(),
    size: Joi.object({ width: side, height: side }).required(),
    origin: Joi.string()
      .uri({ scheme: ['http', 'https'] })
      .max(200)
      .required(),
  }).messages({ 'number.base': `A label measures ${OWN.least} to ${OWN.most} mm each way.` }),
);

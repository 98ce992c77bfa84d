import Joi from 'joi';
import { keepableText } from '@/features/commands/keepable-text';
import { recordId } from '@/features/commands/record-id';
import { EVENT_SORTS, type CutForm } from './form';

const text = (most: number) => keepableText().allow('').max(most).required();
const itemId = Joi.number().integer().positive().max(2_147_483_647).allow(null).required();

/** The shape of a cut form; what its lengths mean is read by `readCutForm`. */
export const cutShape = Joi.object<CutForm>({
  batchId: recordId('batch'),
  clothId: recordId('cloth'),
  version: Joi.number().integer().required(),
  from: Joi.array()
    .items(Joi.object({ code: text(60), itemId }))
    .max(60)
    .required(),
  events: Joi.array()
    .items(
      Joi.object({
        sort: Joi.string()
          .valid(...EVENT_SORTS)
          .required(),
        code: text(60),
        length: text(40),
        part: text(200),
        why: text(400).messages({ 'string.max': 'Say it in at most 400 letters.' }),
      }),
    )
    .max(50)
    .required()
    .messages({ 'array.max': 'More than 50 differences are not one lay: note the largest.' }),
  remnants: Joi.array()
    .items(
      Joi.object({
        code: text(60),
        proposed: Joi.number().integer().min(0).allow(null).required(),
        isKept: Joi.boolean().required(),
        across: text(40),
        along: text(40),
        place: text(120),
      }),
    )
    .max(200)
    .required(),
});

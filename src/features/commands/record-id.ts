import Joi from 'joi';
import { isId } from './ids';

/** The id of a record; what can't be one is answered like a record that is no longer there. `what`: `order`, `batch` … */
export const recordId = (what: string) =>
  Joi.any()
    .custom((value: unknown, helpers) => (isId(value) ? value : helpers.error('record.gone')))
    .required()
    .messages({ '*': `This ${what} is no longer there.`, 'record.gone': `This ${what} is no longer there.` });

/** Which version of a record is edited; null for a new one. */
export const editedRecord = (what: string) =>
  Joi.object<{ id: number; version: number }>({ id: recordId(what), version: Joi.number().required() })
    .allow(null)
    .required();

/** The version of a record that the person saw. */
export interface Edited {
  id: number;
  version: number;
}

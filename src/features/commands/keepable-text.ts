import Joi from 'joi';
import { isKeepable } from './texts';

/** A text that the database can keep. */
export const keepableText = () =>
  Joi.string()
    .custom((value: string, helpers) => (isKeepable(value) ? value : helpers.error('text.keepable')))
    .messages({ 'text.keepable': 'This holds a character that can’t be kept; write it again by hand.' });

import { isMatch } from 'date-fns';
import Joi from 'joi';

/** A day of the calendar like 2027-03-01; anything else, 31 February too, is refused with `message`. */
export const calendarDay = (message: string) =>
  Joi.string()
    .custom((value: string, helpers) =>
      /^[12]\d{3}-\d\d-\d\d$/.test(value) && isMatch(value, 'yyyy-MM-dd') ? value : helpers.error('any.invalid'),
    )
    .messages({ '*': message });

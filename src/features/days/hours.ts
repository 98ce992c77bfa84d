import { eq } from 'drizzle-orm';
import Joi from 'joi';
import { minutesOf, USUAL_ROOM, WORKS, type RoomHours, type RunLock } from '@/core/schedule';
import { schema, type Reader } from '@/db';
import { calendarDay } from '@/features/commands/calendar-day';
import { keepableText } from '@/features/commands/keepable-text';

export const LOCKS_KEY = 'run-locks';

/** Runs that were put to a person or a day by hand. */
export async function loadLocks(db: Reader): Promise<RunLock[]> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, LOCKS_KEY));
  return (row?.value as RunLock[] | undefined) ?? [];
}

const time = () =>
  Joi.string()
    .custom((text: string, helpers) => (minutesOf(text) === null ? helpers.error('any.invalid') : text))
    .messages({ '*': 'Write a time like 08:30.' });
const day = calendarDay('Choose the day.').required();
const personId = Joi.number().integer().positive().max(2_147_483_647);

const dayHours = Joi.object({
  from: time().required(),
  to: time().required(),
  breakFrom: time().allow('').required(),
  breakTo: time().allow('').required(),
}).custom((hours: { from: string; to: string; breakFrom: string; breakTo: string }, helpers) => {
  const marks = [hours.from, ...(hours.breakFrom ? [hours.breakFrom, hours.breakTo] : []), hours.to].map(
    (text) => minutesOf(text) ?? -1,
  );
  return (hours.breakFrom === '') === (hours.breakTo === '') &&
    marks.every((mark, i) => i === 0 || mark > marks[i - 1]!)
    ? hours
    : helpers.message({ custom: 'A day goes from its begin over its break to its end.' });
});

/** Hours as they are sent to be saved. */
export const hoursShape = Joi.object<RoomHours>({
  people: Joi.array()
    .items(
      Joi.object({
        personId: personId.required(),
        does: Joi.array()
          .items(Joi.string().valid(...WORKS))
          .unique()
          .required(),
        week: Joi.array().items(dayHours.allow(null)).length(7).required(),
      }),
    )
    .unique('personId')
    .max(200)
    .required(),
  off: Joi.array()
    .items(
      Joi.object({
        personId: personId.allow(null).required(),
        from: day,
        to: day,
        why: keepableText().trim().allow('').max(80).required(),
      }).custom((off: { from: string; to: string }, helpers) =>
        off.from <= off.to ? off : helpers.message({ custom: 'Days off end on or after the day they begin.' }),
      ),
    )
    .max(500)
    .required(),
  sharePercent: Joi.number()
    .integer()
    .min(10)
    .max(100)
    .required()
    .messages({ '*': 'The share of a day is a whole number from 10 to 100 percent.' }),
  gapMinutes: Joi.number()
    .integer()
    .min(5)
    .max(480)
    .default(USUAL_ROOM.gapMinutes)
    .messages({ '*': 'A clock believes from 5 to 480 minutes without a tick.' }),
  hasNames: Joi.boolean().default(true),
  clothDays: Joi.number()
    .integer()
    .min(0)
    .max(365)
    .default(USUAL_ROOM.clothDays)
    .messages({ '*': 'What is bought is there after a whole number of days, at most 365.' }),
  seats: Joi.object(
    Object.fromEntries(
      WORKS.map((work) => [
        work,
        Joi.number().integer().min(1).max(50).required().messages({ '*': 'From 1 to 50 can work there at once.' }),
      ]),
    ),
  ).required(),
});

/** A run that is put to a person or a day by hand; neither lets it go. */
export const lockShape = Joi.object<RunLock>({
  runId: Joi.string()
    .pattern(/^(batch|line)-\d{1,10}-(cut|sew|check)$/)
    .required(),
  personId: personId.allow(null).required(),
  notBefore: Joi.number().integer().min(0).max(1e9).allow(null).required(),
});

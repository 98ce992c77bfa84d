import { eq } from 'drizzle-orm';
import Joi from 'joi';
import { COVER_STATES, USUAL_PLACES, type Place } from '@/core/making';
import { schema, type Reader } from '@/db';
import { keepableText } from '@/features/commands/keepable-text';

export const PLACES_KEY = 'places';
/** Most places of a room. */
const MOST_PLACES = 12;

/** The places of the workroom; the usual ones where it has named none. */
export async function loadPlaces(db: Reader): Promise<Place[]> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, PLACES_KEY));
  const own = row?.value as Place[] | undefined;
  return own && own.length > 0 ? own : USUAL_PLACES.map((place) => ({ ...place, states: [...place.states] }));
}

/** Places as they are sent to be saved. */
export const placesShape = Joi.object({
  places: Joi.array()
    .min(1)
    .max(MOST_PLACES)
    .required()
    .messages({
      'array.min': 'A room has at least one place.',
      'array.max': `A room has at most ${MOST_PLACES} places.`,
    })
    .items(
      Joi.object({
        key: Joi.string()
          .pattern(/^[a-z0-9-]{1,40}$/)
          .required(),
        name: keepableText().trim().min(1).max(40).required().messages({ '*': 'Write a name of at most 40 letters.' }),
        states: Joi.array()
          .items(Joi.string().valid(...COVER_STATES))
          .unique()
          .min(1)
          .required()
          .messages({ '*': 'Choose what stands there.' }),
      }),
    ),
});

/** A sentence where covers of some state would stand nowhere, or two places have one name; null where the places are right. */
export function placesFault(places: readonly Place[]): { field: string; message: string } | null {
  const names = places.map(({ name }) => name.trim().toLowerCase());
  const twice = names.findIndex((name, i) => names.indexOf(name) !== i);
  if (twice >= 0) return { field: `places.${twice}.name`, message: 'Another place has this name already.' };
  const missing = COVER_STATES.find((state) => !places.some(({ states }) => states.includes(state)));
  return missing ? { field: 'places', message: `No place takes covers that are “${missing}”.` } : null;
}

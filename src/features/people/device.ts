import 'server-only';
import { and, eq, isNull } from 'drizzle-orm';
import { cookies } from 'next/headers';
import { database, schema } from '@/db';
import { idFrom } from '@/features/commands/ids';
import type { Person } from './queries';

export const PERSON_COOKIE = 'jolly-bolt-person';

/** Who has said that they are at this device, or null. */
export async function personAtDevice(): Promise<Person | null> {
  const id = idFrom((await cookies()).get(PERSON_COOKIE)?.value ?? '');
  if (id === null) return null;
  const { people } = schema;
  const [person] = await database()
    .select({ id: people.id, name: people.name, initials: people.initials, colour: people.colour })
    .from(people)
    .where(and(eq(people.id, id), isNull(people.leftAt)));
  return person ?? null;
}

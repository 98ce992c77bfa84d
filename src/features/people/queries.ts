import 'server-only';
import { asc, isNull } from 'drizzle-orm';
import { database, schema } from '@/db';

/** Somebody who works here. */
export interface Person {
  id: number;
  name: string;
  initials: string;
  /** The place of their colour in `PERSON_COLOURS`. */
  colour: number;
}

/** Everybody who works here, by name. */
export async function listPeople(): Promise<Person[]> {
  const { id, name, initials, colour, leftAt } = schema.people;
  return database().select({ id, name, initials, colour }).from(schema.people).where(isNull(leftAt)).orderBy(asc(name));
}

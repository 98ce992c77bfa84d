'use server';

import { cookies } from 'next/headers';
import { done, gone, type Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import { addPerson as add, removePerson as remove } from './commands';
import { PERSON_COOKIE } from './device';
import { listPeople, type Person } from './queries';

const YEAR_S = 365 * 24 * 3600;

/** Says who is at this device; null: nobody. */
export async function choosePerson(id: number | null): Promise<Answer<Person | null>> {
  const jar = await cookies();
  if (id === null) {
    jar.delete(PERSON_COOKIE);
    return done(null);
  }
  const person = (await listPeople()).find((one) => one.id === id);
  if (!person) return gone('person');
  jar.set(PERSON_COOKIE, String(person.id), { httpOnly: true, sameSite: 'strict', maxAge: YEAR_S, path: '/' });
  return done(person);
}

export async function addPerson(name: string, requestId?: string): Promise<Answer<Person>> {
  return runCommand(add, { name }, requestId);
}

/** Takes a person off the list; what they have done keeps their name. */
export async function removePerson(id: number, requestId?: string): Promise<Answer<{ name: string }>> {
  return runCommand(remove, { id }, requestId);
}

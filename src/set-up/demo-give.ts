import { eq } from 'drizzle-orm';
import { schema, type Database } from '@/db';
import type { Answer } from '@/features/commands/answer';
import { perform, type Command } from '@/features/commands/perform';
import type { Person } from '@/features/people/queries';

/** Gives a command as somebody at some time; a refusal ends the loading. */
export async function give<I, T>(command: Command<I, T>, input: I, person: Person, now: Date): Promise<T> {
  const answer: Answer<T> = await perform(command, input, { person, request: null, now });
  if (!answer.ok) throw new Error(`The demo could not ${command.name}: ${answer.faults[0]!.message}`);
  return answer.value;
}

/** A person of the demo by their id. */
export async function personOf(db: Database, id: number): Promise<Person> {
  const { people } = schema;
  const [person] = await db
    .select({ id: people.id, name: people.name, initials: people.initials, colour: people.colour })
    .from(people)
    .where(eq(people.id, id));
  return person!;
}

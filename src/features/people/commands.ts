import 'server-only';
import Joi from 'joi';
import { and, count, eq, isNull, sql } from 'drizzle-orm';
import { schema } from '@/db';
import { done, failed, gone } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import { keepableText } from '@/features/commands/keepable-text';
import { recordId } from '@/features/commands/record-id';
import { initialsOf, PERSON_COLOURS } from './form';
import type { Person } from './queries';

export const addPerson: Command<{ name: string }, Person> = {
  name: 'add person',
  read: byRules(
    Joi.object({
      name: keepableText().trim().min(1).max(60).required().messages({ '*': 'Write a name of at most 60 letters.' }),
    }),
  ),
  run: async ({ tx, made, changes }, { name }) => {
    const { people } = schema;
    const columns = { id: people.id, name: people.name, initials: people.initials, colour: people.colour };
    await tx.execute(sql`LOCK TABLE ${people} IN SHARE ROW EXCLUSIVE MODE`);
    const [known] = await tx
      .select({ id: people.id, leftAt: people.leftAt })
      .from(people)
      .where(sql`lower(${people.name}) = lower(${name})`);
    if (known && !known.leftAt) return failed('name', `“${name}” is in the list already.`, 'duplicate');
    if (known) {
      // Somebody comes back: what they did before is theirs again.
      await changes('person', known.id);
      const [again] = await tx.update(people).set({ leftAt: null }).where(eq(people.id, known.id)).returning(columns);
      return done(again!);
    }
    const [{ n } = { n: 0 }] = await tx.select({ n: count() }).from(people);
    const [person] = await tx
      .insert(people)
      .values({ name, initials: initialsOf(name), colour: n % PERSON_COLOURS.length })
      .returning(columns);
    made('person', person!.id);
    return done(person!);
  },
};

export const removePerson: Command<{ id: number }, { name: string }> = {
  name: 'remove person',
  read: byRules(Joi.object({ id: recordId('person') })),
  run: async ({ tx, now, changes }, { id }) => {
    await changes('person', id);
    const [person] = await tx
      .update(schema.people)
      .set({ leftAt: now })
      .where(and(eq(schema.people.id, id), isNull(schema.people.leftAt)))
      .returning({ name: schema.people.name });
    return person ? done(person) : gone('person');
  },
};

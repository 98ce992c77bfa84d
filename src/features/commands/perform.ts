import { setTimeout as sleep } from 'node:timers/promises';
import type Joi from 'joi';
import type { Fault } from '@/core/result';
import { transact, type Transaction } from '@/db';
import type { Person } from '@/features/people/queries';
import { answeredBefore, Audit, type Request } from './audit';
import { failed, type Answer } from './answer';
import type { CommandContext } from './context';
import type { CommandName } from './permission';

// A command and how it is carried out, without anything of the web: pages reach it by `runCommand`, the demo workroom and the tests by `perform`.

/** One way of changing the workroom. */
export interface Command<Input, T> {
  /** Its name in the audit, like `save order`. */
  name: CommandName;
  /** Reads what came from outside; nothing that it refuses gets any further. */
  read: (input: unknown) => Read<Input>;
  /** Makes the change in the context's transaction, which is rolled back when the answer is a refusal. */
  run: (context: CommandContext, input: Input) => Promise<Answer<T>>;
}

type Read<Input> = { value: Input } | { faults: Fault[] };

/** A reader by Joi's rules: a fault for each value that they refuse, at its field. */
export const byRules =
  <Input>(rules: Joi.Schema<Input>) =>
  (input: unknown): Read<Input> => {
    const { value, error } = rules.validate(input, { abortEarly: false });
    if (!error) return { value: value as Input };
    return {
      faults: error.details.map(({ type, path, message }) =>
        type === 'record.gone'
          ? { code: 'gone', field: '', message }
          : { code: 'refused', field: path.join('.'), message },
      ),
    };
  };

/** Transactions that get into each other's way are begun again, at most so often. */
const MOST_TRIES = 8;
const LONGEST_PAUSE_MS = 40;
/** PostgreSQL's codes for a deadlock and for a snapshot that has become stale (appendix A of its manual). */
const TRY_AGAIN = new Set(['40P01', '40001']);

/** Begins a transaction again: what it had locked is not all that it needs by now. */
export class TryAgain extends Error {}

/** Rolls a transaction back and carries its answer out. */
class Rollback extends Error {
  constructor(readonly answer: Answer<unknown>) {
    super('rolled back');
  }
}

/** Carries a command out in a transaction of its own, with its audit entry; a request that was answered before gets its answer again. */
export const perform = <Input, T>(
  { name, run }: Command<Input, T>,
  input: Input,
  { person, request, now }: { person: Person | null; request: Request | null; now: Date },
): Promise<Answer<T>> =>
  inTransaction(async (tx): Promise<Answer<T>> => {
    const before = request && (await answeredBefore(tx, request));
    if (before === 'other') return failed('', 'This request was sent before with other contents; send it again.');
    if (before) return before as Answer<T>;
    const audit = new Audit(tx);
    const given = await run(
      {
        person,
        tx,
        now,
        changes: (subject, id) => audit.changes(subject, id),
        made: (subject, id) => audit.made(subject, id),
      },
      input,
    );
    if (given.ok) await audit.write(name, person, request, given, now);
    return given;
  });

async function inTransaction<T>(body: (tx: Transaction) => Promise<Answer<T>>): Promise<Answer<T>> {
  for (let tries = 1; ; tries++) {
    try {
      return await transact(async (tx) => {
        const answer = await body(tx);
        if (!answer.ok) throw new Rollback(answer);
        return answer;
      });
    } catch (error) {
      if (error instanceof Rollback) return error.answer as Answer<T>;
      if (tries >= MOST_TRIES || !isWorthAnother(error)) throw error;
      await sleep(Math.random() * LONGEST_PAUSE_MS * tries);
    }
  }
}

const isWorthAnother = (error: unknown): boolean =>
  error instanceof TryAgain || TRY_AGAIN.has((error as { cause?: { code?: string } }).cause?.code ?? '');

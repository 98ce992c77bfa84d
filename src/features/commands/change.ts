import 'server-only';
import { setTimeout as sleep } from 'node:timers/promises';
import { revalidatePath } from 'next/cache';
import { database, type Transaction } from '@/db';
import { answering, type Answer } from './answer';

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

/**
 * Every change goes through here: `body` in one transaction, rolled back when its answer is a refusal, begun again when it meets a
 * deadlock, and shown on every page when it is kept. Records are locked in one order: batches by id, then orders by id, then cloths.
 */
export async function change<T>(body: (tx: Transaction) => Promise<Answer<T>>): Promise<Answer<T>> {
  return answering(async () => {
    const answer = await inTransaction(body);
    if (answer.ok) revalidatePath('/', 'layout');
    return answer;
  });
}

async function inTransaction<T>(body: (tx: Transaction) => Promise<Answer<T>>): Promise<Answer<T>> {
  for (let tries = 1; ; tries++) {
    try {
      return await database().transaction(async (tx) => {
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

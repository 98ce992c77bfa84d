import 'server-only';
import type { RoomHours, RunLock } from '@/core/schedule';
import { schema } from '@/db';
import { done } from '@/features/commands/answer';
import type { CommandContext } from '@/features/commands/context';
import { byRules, type Command } from '@/features/commands/perform';
import { HOURS_KEY, hoursShape, loadLocks, LOCKS_KEY, lockShape } from './hours';

/** Saves when people work, what each does, and when nobody is there. */
export const saveHours: Command<RoomHours, null> = {
  name: 'save hours',
  read: byRules(hoursShape),
  run: async (context, hours) => {
    await context.changes('settings', 0);
    await keep(context, HOURS_KEY, hours);
    return done(null);
  },
};

/** Most runs that are locked by hand: the oldest is let go first. */
const MOST_LOCKS = 2_000;

/** Puts a run to a person or not before a day; the plan is made round it. */
export const lockRun: Command<RunLock, { locks: number }> = {
  name: 'lock run',
  read: byRules(lockShape),
  run: async (context, lock) => {
    await context.changes('settings', 0);
    const others = (await loadLocks(context.tx)).filter(({ runId }) => runId !== lock.runId);
    const isLetGo = lock.personId === null && lock.notBefore === null;
    const locks = [...others, ...(isLetGo ? [] : [lock])].slice(-MOST_LOCKS);
    await keep(context, LOCKS_KEY, locks);
    return done({ locks: locks.length });
  },
};

async function keep({ tx }: CommandContext, key: string, value: unknown) {
  const { settings } = schema;
  await tx.insert(settings).values({ key, value }).onConflictDoUpdate({ target: settings.key, set: { value } });
}

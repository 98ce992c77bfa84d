import 'server-only';
import { and, eq, isNotNull } from 'drizzle-orm';
import Joi from 'joi';
import type { RoomHours, RunLock } from '@/core/schedule';
import { schema } from '@/db';
import { done, gone } from '@/features/commands/answer';
import type { CommandContext } from '@/features/commands/context';
import { keepableText } from '@/features/commands/keepable-text';
import { byRules, type Command } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';
import { loadKeptPlans, PLAN_KEY, planShape, type KeptPlans, type PlanOfDay } from './plan-of-day';
import { HOURS_KEY } from '@/records/hours';
import { hoursShape, loadLocks, LOCKS_KEY, lockShape } from './hours';

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

/** Keeps the plan of a day as it stood when somebody first looked: later looks of that day change nothing. */
export const keepPlan: Command<PlanOfDay, null> = {
  name: 'keep plan of day',
  read: byRules(planShape),
  run: async (context, plan) => {
    await context.changes('settings', 0);
    const { last, before } = await loadKeptPlans(context.tx);
    if (last === null || last.day < plan.day)
      await keep(context, PLAN_KEY, { last: plan, before: last ?? before } satisfies KeptPlans);
    return done(null);
  },
};

/** Sets the minutes of a run aside, so that nothing is learned from them; without a reason they count again. */
export const setMinutesAside: Command<{ runId: number; why: string }, null> = {
  name: 'set minutes aside',
  read: byRules(
    Joi.object({
      runId: recordId('order'),
      why: keepableText()
        .trim()
        .allow('')
        .max(120)
        .required()
        .messages({ 'string.max': 'A reason has at most 120 letters.' }),
    }),
  ),
  run: async ({ tx }, { runId, why }) => {
    const { runs } = schema;
    const [row] = await tx
      .update(runs)
      .set({ setAside: why })
      .where(and(eq(runs.id, runId), isNotNull(runs.endedAt)))
      .returning({ id: runs.id });
    return row ? done(null) : gone('order');
  },
};

async function keep({ tx }: CommandContext, key: string, value: unknown) {
  const { settings } = schema;
  await tx.insert(settings).values({ key, value }).onConflictDoUpdate({ target: settings.key, set: { value } });
}

import { eq } from 'drizzle-orm';
import Joi from 'joi';
import { schema, type Reader } from '@/db';
import { calendarDay } from '@/features/commands/calendar-day';

export const PLAN_KEY = 'plan-of-day';

/** The day on which each order was ready by the plan of some morning: by order number. */
export interface PlanOfDay {
  day: string;
  ready: Record<string, string>;
}

/** The plan of the last day on which somebody looked, and of the one before it. */
export interface KeptPlans {
  last: PlanOfDay | null;
  before: PlanOfDay | null;
}

export async function loadKeptPlans(db: Reader): Promise<KeptPlans> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, PLAN_KEY));
  return (row?.value as KeptPlans | undefined) ?? { last: null, before: null };
}

const day = calendarDay('This is no day of a plan.');

/** A plan as a page sends it to be kept. */
export const planShape = Joi.object<PlanOfDay>({
  day: day.required(),
  ready: Joi.object()
    .pattern(/^\d{1,9}$/, day)
    .max(500)
    .required(),
});

/** The plan that a day is compared with: of the last day before it on which somebody looked. */
export const planBefore = ({ last, before }: KeptPlans, today: string): PlanOfDay | null =>
  last && last.day < today ? last : before && before.day < today ? before : null;

/** A change of the day on which an order is ready; `was` null: it is new. */
export interface PlanChange {
  orderNo: string;
  was: string | null;
  is: string;
}

/** Orders whose day has moved since a plan, those that moved furthest back first; what is done is no change. */
export function changesSince(before: PlanOfDay, now: PlanOfDay): PlanChange[] {
  const days = (change: PlanChange) => Date.parse(change.is) - Date.parse(change.was ?? change.is);
  return Object.keys(now.ready)
    .map((orderNo): PlanChange => ({ orderNo, was: before.ready[orderNo] ?? null, is: now.ready[orderNo]! }))
    .filter(({ was, is }) => was !== is)
    .sort((a, b) => days(b) - days(a) || Number(a.orderNo) - Number(b.orderNo));
}

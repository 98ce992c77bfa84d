import type { LayPlan } from '../model/plan';

/** Tells whether a plan comes before another of the same job: more is laid, or the endless length is shorter, or all lengths together. */
export function isBetter(one: LayPlan, other: LayPlan): boolean {
  if (one.unplaced.length !== other.unplaced.length) return one.unplaced.length < other.unplaced.length;
  if (one.endless !== other.endless) return one.endless < other.endless;
  return one.used !== other.used ? one.used < other.used : one.passes < other.passes;
}

/** Tells whether nothing can be better than a plan: all is laid, in no more than is proven to be needed. */
export const isAtBound = ({ unplaced, used, bound }: LayPlan): boolean => unplaced.length === 0 && used <= bound;

/**
 * The best of the plans that several workers of a search have made of one job; one at least. A bound that one of them has proven
 * holds for all that leave the same things out.
 */
export function bestOf(plans: readonly LayPlan[]): LayPlan {
  const best = plans.reduce((one, other) => (isBetter(other, one) ? other : one));
  const leftOut = ({ unplaced }: LayPlan) => JSON.stringify(unplaced);
  const bounds = plans.filter((plan) => leftOut(plan) === leftOut(best)).map(({ bound }) => bound);
  return { ...best, bound: Math.min(best.used, Math.max(...bounds)) };
}

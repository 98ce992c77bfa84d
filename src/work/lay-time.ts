import type { ClothTask } from '@/core/batch';
import { costOf } from '@/core/cost';
import type { LayPlan } from '@/core/lay';

// How the time of a batch is shared over its cloths.

/** A search shorter than that is not worth its start. */
export const LEAST_SECONDS = 0.5;
/** Share of the time for the first look at all cloths together, and least and most for one (s). */
const FIRST_SHARE = 0.4;
const MOST_FIRST = 3;

/** The seconds of the first look at each of `cloths` cloths; one cloth has all the time. */
export const firstLook = (seconds: number, cloths: number): number =>
  cloths === 1 ? seconds : Math.min(MOST_FIRST, Math.max(LEAST_SECONDS / 2, (FIRST_SHARE * seconds) / cloths));

/** Possible gain of a longer search on a lay, in minor units of its currency: what lies between it and its proven bound. */
export const gainOf = ({ cloth }: ClothTask, { used, bound }: LayPlan): number =>
  costOf(Math.max(0, used - bound), cloth);

/** The numbers of those with something to gain, the most first. */
export const byGain = (gains: readonly number[]): number[] =>
  gains.flatMap((gain, i) => (gain > 0 ? [i] : [])).sort((a, b) => gains[b]! - gains[a]! || a - b);

/** The seconds of the next search of number `i`: its part of what is left, by what all that still wait may gain. */
export function shareTime(gains: readonly number[], i: number, left: number): number {
  const all = gains.reduce((sum, gain) => sum + gain, 0);
  return all > 0 ? (left * gains[i]!) / all : 0;
}

import type { Nm } from '@/core/length';

export { longLength } from '@/core/length';

export const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;

/** How much longer than the shortest possible a lay may be, by its proven bound, in words. */
export function overBound(used: Nm, bound: Nm): string {
  if (used <= bound) return 'no shorter lay is possible';
  const over = (100 * (used - bound)) / bound;
  return over < 0.05 ? 'less than 0.1 % too long' : `at most ${over.toFixed(1)} % too long`;
}

/** What a change means for batches whose lays it has dropped; nothing where there are none. */
export const laysAgain = (batches: readonly string[]): string | undefined =>
  batches.length > 0
    ? `The lays of ${batches.map((name) => `“${name}”`).join(' and ')} have to be made again.`
    : undefined;

/** `1 row`, `2,000 rows`. */
export const counted = (n: number, one: string): string => `${n.toLocaleString('en')} ${n === 1 ? one : `${one}s`}`;

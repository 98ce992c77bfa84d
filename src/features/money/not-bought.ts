import type { CostSheet } from '@/core/cost';

const HOW = { supplied: 'supplied by you', reused: 'taken over from the old cover' } as const;

/** Names, for the customer, what is not in the price because nobody buys it. */
export function notBought(provided: NonNullable<CostSheet['provided']>): string {
  const names = [...new Set(provided.map(({ what, how }) => `${what} (${HOW[how]})`))];
  return `Not in the price: ${names.join(', ')}.`;
}

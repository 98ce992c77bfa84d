import { inches } from '@/core/length';
import type { ClothChoice } from './queries';

// For tests: what an order is cut from.

/** A plain cloth of 54 in; `rest` is what the core should know of it otherwise. */
export const clothChoice = (
  id: string,
  name: string,
  rest: Partial<ClothChoice['cloth']> = {},
  sort: ClothChoice['sort'] = 'cloth',
): ClothChoice => ({
  id,
  name,
  sort,
  usualFor: [],
  look: { pattern: 'plain', ground: '#ddd', figure: '#333', repeatAcross: 0, repeatAlong: 0, drop: 0, motif: [0, 0] },
  cloth: {
    name,
    width: inches(54),
    selvage: [0, 0],
    repeat: null,
    turns: 'any',
    price: { minor: 1800, currency: 'GBP', per: 'yd' },
    sellingStep: inches(9),
    ...rest,
  },
});

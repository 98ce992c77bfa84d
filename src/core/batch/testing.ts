import type { Cloth } from '../cloth';
import { inches, NM } from '../length';
import type { PricedItem } from './batch';

// For tests: a plain cloth of 54 in, and items of it on the shelf.

export const DRILL: Cloth = {
  name: 'Plain drill',
  width: inches(54),
  selvage: [inches(0.5), inches(0.5)],
  repeat: null,
  turns: 'half',
  price: { minor: 1800, currency: 'GBP', per: 'yd' },
  sellingStep: inches(9),
};

/** An item of that cloth: a bolt, or a remnant where its code says so, of so many yards, at what was paid for a yard. */
export const pricedItem = (code: string, yards: number, minor: number, currency = 'GBP'): PricedItem => ({
  id: Number(code.slice(1)),
  code,
  sort: code.startsWith('R') ? 'remnant' : 'bolt',
  lot: '3',
  width: DRILL.width,
  selvage: DRILL.selvage,
  received: yards * NM.yd,
  available: yards * NM.yd,
  isOpened: true,
  isWashed: false,
  motif: [0, 0],
  flaws: [],
  outline: null,
  price: { minor, currency, per: 'yd' },
});

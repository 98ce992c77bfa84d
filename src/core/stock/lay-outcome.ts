import type { Nm } from '../length';
import type { StockUse } from './with-stock';
import type { UsedSplit } from './waste';

/** Cost to a lay of one item, or of cloth that was bought for it. */
export interface PricedUse extends StockUse {
  /** Minor units of the lay's currency for what it takes, what is short included. */
  costMinor: number;
}

/** The stock of a lay, as it was chosen. */
export interface LayStock {
  uses: PricedUse[];
  /** Why these items, in words. */
  why: string;
}

/** Outcome of cutting a lay: each item's used length and where it went. */
export interface LayOutcome {
  items: { code: string; itemId: number | null; usedNm: Nm; split: UsedSplit; moreNm: Nm }[];
  /** Tells whether all went as planned. */
  isAsPlanned: boolean;
}

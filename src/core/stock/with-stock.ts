import type { Cloth } from '../cloth';
import { handLength, type LayJob, type LayPlan, type StockLength } from '../lay';
import type { Nm } from '../length';
import { beforeWash, shrinkageOf, stockLengthOf, type ShelfItem } from './shelf-item';

/** The length of a job that is not on the shelf: cloth that has to be bought. */
export const TO_BUY = 'to buy';

/** The hand method never takes less than a search finds; so much more keeps a bolt from being named too short for the lay. */
const HAND_MARGIN = 1.02;

/** The most (nm, as on the shelf) that a job takes of its cloth at its full width. */
export const needOf = (job: LayJob, { shrinkage }: Pick<Cloth, 'shrinkage'>): Nm =>
  beforeWash(Math.ceil(handLength(job) * HAND_MARGIN), shrinkage?.along);

/** The smallest piece of a job (nm): what a remnant must hold at least. */
export function leastPiece({ pieces, strips }: Pick<LayJob, 'pieces' | 'strips'>): [Nm, Nm] {
  const sizes = [
    ...pieces.map(({ width, height }): [Nm, Nm] => [width, height]),
    ...strips.map(({ width, least, length }): [Nm, Nm] => [width, Math.max(width, Math.min(length, least || width))]),
  ];
  return sizes.reduce((a, b) => (b[0] * b[1] < a[0] * a[1] ? b : a), sizes[0] ?? [0, 0]);
}

/**
 * A job on the items that were chosen for it. A last bolt that reaches for certain is laid on without an end, as all of the search's
 * methods can then work; otherwise every item ends where it ends, and what it lacks lies on cloth that has to be bought.
 */
export function jobOnStock(job: LayJob, items: readonly ShelfItem[], cloth: Cloth): LayJob {
  if (items.length === 0) return job;
  const lengths = items.map((item) => stockLengthOf(item, cloth));
  const last = items.at(-1)!;
  const reaches = last.sort === 'bolt' && !last.outline && last.available >= needOf(job, cloth);
  const stock: StockLength[] = reaches
    ? [...lengths.slice(0, -1), { ...lengths.at(-1)!, length: Infinity, outline: null }]
    : [...lengths, { ...job.stock.at(-1)!, id: TO_BUY }];
  return { ...job, stock };
}

/** A plan's use of one item, or of cloth that is still to be bought (nm as on the shelf, before any wash). */
export interface StockUse {
  /** The item's code, or `to buy`. */
  code: string;
  itemId: number | null;
  used: Nm;
  /** The shortage: the plan takes more than there is. */
  short: Nm;
}

/** Lists what a plan takes of each item, in the order of the job's stock. A roll that nobody keeps on the shelf is to buy. */
export function usesOf(
  plan: Pick<LayPlan, 'lays'>,
  items: readonly ShelfItem[],
  cloth: Pick<Cloth, 'shrinkage'>,
): StockUse[] {
  return plan.lays
    .filter(({ used }) => used > 0)
    .map(({ stock, used: washed }) => {
      const item = items.find(({ code }) => code === stock);
      if (!item) return { code: TO_BUY, itemId: null, used: 0, short: beforeWash(washed, cloth.shrinkage?.along) };
      const used = beforeWash(washed, shrinkageOf(item, cloth).along);
      const over = used - item.available;
      return {
        code: item.code,
        itemId: item.id,
        used: Math.min(used, item.available),
        short: over > ROUNDING ? over : 0,
      };
    });
}

/** Tolerance of a length that was written in inches and read again (nm). */
const ROUNDING = 1_000;

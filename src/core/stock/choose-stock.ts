import type { Nm } from '../length';
import type { ShelfItem } from './shelf-item';

/** A person's decision about the shelf for one lay. */
export interface StockChoice {
  /** Items that are used whatever else there is. */
  pinned: readonly number[];
  leftOut: readonly number[];
  /** Two lots never meet in one set, unless somebody allows it. */
  isLotMixed: boolean;
}

export const NO_CHOICE: StockChoice = { pinned: [], leftOut: [], isLotMixed: false };

/** The items that a lay is made on, in the order in which they are cut, and why these. */
export interface ChosenStock {
  items: ShelfItem[];
  /** The lot, or null where lots may mix or nothing is there. */
  lot: string | null;
  /** The expected shortage (nm); the lay finds it exactly. */
  short: Nm;
  why: string;
}

/** Most remnants that are laid on, the largest first: each further one makes the search longer. */
const MOST_REMNANTS = 12;

/**
 * Which stock a lay uses: matching remnants first, then the opened bolt, then the next, all of one lot. Of several lots it takes the one
 * that reaches and leaves the least opened; where none reaches, the one that misses least. `need` is the length (nm) that the lay takes
 * at the cloth's width at most; `least` the smallest piece, since a smaller remnant holds nothing.
 */
export function chooseStock(
  need: Nm,
  least: readonly [Nm, Nm],
  shelf: readonly ShelfItem[],
  choice: StockChoice = NO_CHOICE,
): ChosenStock {
  const usable = shelf.filter(
    ({ id, available }) => available > 0 && (choice.pinned.includes(id) || !choice.leftOut.includes(id)),
  );
  const pinned = usable.filter(({ id }) => choice.pinned.includes(id));
  const lots = choice.isLotMixed ? [null] : [...new Set(usable.map(({ lot }) => lot))];
  const offers = lots
    .map((lot) => offerOf(need, least, lot === null ? usable : usable.filter((item) => item.lot === lot), lot, choice))
    .filter((offer) => offer.items.length > 0);
  // A pinned item decides the lot, the first of them where they are of several.
  const wanted = pinned.length > 0 && !choice.isLotMixed ? offers.filter(({ lot }) => lot === pinned[0]!.lot) : offers;
  const [best] = wanted.sort(
    (a, b) =>
      Number(a.short > 0) - Number(b.short > 0) ||
      a.short - b.short ||
      unopened(a) - unopened(b) ||
      Number(!hasRemnant(a)) - Number(!hasRemnant(b)) ||
      leftOver(a) - leftOver(b) ||
      a.items[0]!.id - b.items[0]!.id,
  );
  return (
    best ?? {
      items: [],
      lot: null,
      short: need,
      why: shelf.length > 0 ? 'nothing on the shelf is free for it' : 'none is on the shelf',
    }
  );
}

const unopened = ({ items }: ChosenStock) => items.filter(({ sort, isOpened }) => sort === 'bolt' && !isOpened).length;
const hasRemnant = ({ items }: ChosenStock) => items.some(({ sort }) => sort === 'remnant');
const leftOver = ({ items }: ChosenStock) => items.reduce((sum, { available }) => sum + available, 0);

function offerOf(
  need: Nm,
  [leastAcross, leastAlong]: readonly [Nm, Nm],
  items: readonly ShelfItem[],
  lot: string | null,
  { pinned }: StockChoice,
): ChosenStock {
  const isPinned = ({ id }: ShelfItem) => pinned.includes(id);
  const holdsSomething = ({ width, available }: ShelfItem) =>
    (width >= leastAcross && available >= leastAlong) || (width >= leastAlong && available >= leastAcross);
  const remnants = items
    .filter((item) => item.sort === 'remnant' && (isPinned(item) || holdsSomething(item)))
    .sort(
      (a, b) =>
        Number(isPinned(b)) - Number(isPinned(a)) || b.width * b.available - a.width * a.available || a.id - b.id,
    )
    .slice(0, MOST_REMNANTS);
  const bolts = items
    .filter(({ sort }) => sort === 'bolt')
    .sort(
      (a, b) =>
        Number(isPinned(b)) - Number(isPinned(a)) ||
        Number(b.isOpened) - Number(a.isOpened) ||
        a.available - b.available ||
        a.id - b.id,
    );
  const taken: ShelfItem[] = [];
  let found = 0;
  for (const bolt of bolts) {
    if (found >= need && !isPinned(bolt)) break;
    taken.push(bolt);
    found += bolt.available;
  }
  const chosen = [...remnants, ...taken];
  const words = [
    remnants.length > 0 && `${remnants.length === 1 ? 'the remnant' : 'the remnants'} ${list(remnants)} first`,
    taken.length > 0 && `${taken.some((bolt) => bolt.isOpened) ? 'the opened bolt' : 'the bolt'} ${list(taken)}`,
  ].filter(Boolean);
  return {
    items: chosen,
    lot,
    short: Math.max(0, need - found),
    why: `${words.join(', then ')}${lot ? `, all of lot ${lot}` : ''}`,
  };
}

const list = (items: readonly ShelfItem[]) => items.map(({ code }) => code).join(', ');

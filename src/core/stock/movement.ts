import type { Fault } from '../result';

/**
 * Movements of an item on the shelf. Quantities are whole: nanometres of what is counted by its length, pieces of what is
 * counted by the piece. Nothing else changes a balance.
 */
export const MOVEMENT_SORTS = [
  'received',
  'reserved',
  'released',
  'cut',
  'wasted',
  'kept',
  'used',
  'counted',
  'moved',
] as const;
export type MovementSort = (typeof MOVEMENT_SORTS)[number];

/** Why cloth was wasted: the parts of a lay's used length that are no piece, and what is let go from the shelf. */
export const WASTE_CAUSES = ['offcut', 'selvage', 'pattern', 'flaw', 'end', 'miscut', 'recut', 'let go'] as const;
export type WasteCause = (typeof WASTE_CAUSES)[number];

/** By how much one unit of a movement changes what is on hand, and what of it is reserved. */
const EFFECTS: Record<MovementSort, { onHand: -1 | 0 | 1; reserved: -1 | 0 | 1 }> = {
  received: { onHand: 1, reserved: 0 },
  reserved: { onHand: 0, reserved: 1 },
  released: { onHand: 0, reserved: -1 },
  cut: { onHand: -1, reserved: 0 },
  wasted: { onHand: -1, reserved: 0 },
  // A remnant that is kept apart becomes an item of its own.
  kept: { onHand: -1, reserved: 0 },
  // Taken for an order as it is: a zip, a pack of buttons.
  used: { onHand: -1, reserved: 0 },
  // More or less than the book says: the quantity has a sign.
  counted: { onHand: 1, reserved: 0 },
  moved: { onHand: 0, reserved: 0 },
};

export interface Movement {
  sort: MovementSort;
  /** More than 0, except where it is counted, moved (0) or counters an earlier one (the negative of that one's). */
  quantity: number;
}

interface Balance {
  onHand: number;
  /** The part reserved by approved lays. */
  reserved: number;
}

export const EMPTY_BALANCE: Balance = { onHand: 0, reserved: 0 };

/** The balance after a movement. */
export const after = (balance: Balance, { sort, quantity }: Movement): Balance => ({
  onHand: balance.onHand + EFFECTS[sort].onHand * quantity + 0,
  reserved: balance.reserved + EFFECTS[sort].reserved * quantity + 0,
});

export const balanceOf = (movements: readonly Movement[]): Balance => movements.reduce(after, EMPTY_BALANCE);

export const availableOf = ({ onHand, reserved }: Balance): number => onHand - reserved;

/** Why a movement can't be booked on a balance, or null where it can. The database holds the same rule. */
export function movementFault(balance: Balance, movement: Movement): Fault | null {
  const { onHand, reserved } = after(balance, movement);
  const refused = (message: string): Fault => ({ code: 'balance', field: 'quantity', message });
  if (onHand < 0) return refused('There is less on the shelf than that.');
  if (reserved < 0) return refused('Less than that is reserved.');
  if (reserved > onHand) return refused('What would be left is less than approved lays have reserved.');
  return null;
}

/** Sums of an item's movements; `left` is always the rest: received + counted = left + cut + used + kept + wasted. */
export interface Flow {
  received: number;
  counted: number;
  cut: number;
  used: number;
  kept: number;
  wasted: number;
  left: number;
}

export function flowOf(movements: readonly Movement[]): Flow {
  const sum = (sort: MovementSort) =>
    movements.reduce((total, movement) => (movement.sort === sort ? total + movement.quantity : total), 0);
  return {
    received: sum('received'),
    counted: sum('counted'),
    cut: sum('cut'),
    used: sum('used'),
    kept: sum('kept'),
    wasted: sum('wasted'),
    left: balanceOf(movements).onHand,
  };
}

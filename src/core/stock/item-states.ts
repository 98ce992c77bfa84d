/** The states of an item on the shelf, in the order in which it goes through them. */
export const ITEM_STATES = ['whole', 'opened', 'ended'] as const;
export type ItemState = (typeof ITEM_STATES)[number];

/**
 * The state that a balance means: an item is opened when something is first taken from it, and has ended when nothing is left. It follows
 * from the movements alone, so there is nothing to apply.
 */
export const stateOf = (onHand: number, isOpened: boolean): ItemState =>
  onHand === 0 ? 'ended' : isOpened ? 'opened' : 'whole';

/** The states of an item on the shelf, in the order in which it goes through them. */
export type ItemState = 'whole' | 'opened' | 'ended';

/**
 * The state that a balance means: an item is opened when something is first taken from it, and has ended when nothing is left. It follows
 * from the movements alone, so there is nothing to apply.
 */
export const stateOf = (onHand: number, isOpened: boolean): ItemState =>
  onHand === 0 ? 'ended' : isOpened ? 'opened' : 'whole';

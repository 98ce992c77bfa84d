/** The states of an item on the shelf, in the order in which it goes through them. */
export const ITEM_STATES = ['whole', 'opened', 'ended'] as const;
export type ItemState = (typeof ITEM_STATES)[number];

export const ITEM_EVENTS = ['receive', 'take', 'end', 'counter'] as const;
export type ItemEvent = (typeof ITEM_EVENTS)[number];

interface Transition {
  from: readonly ItemState[];
  to: ItemState;
  /** What is said in any other state. */
  refusal: string;
}

/**
 * All transitions of an item: it is opened when something is first taken from it, and has ended when nothing is left. Whoever may book
 * a movement may cause them; the database keeps the state with the balance.
 */
export const ITEM_TRANSITIONS: Record<ItemEvent, Transition> = {
  receive: {
    from: ['whole', 'opened'],
    to: 'whole',
    refusal: 'Nothing is added to an item that has ended: book it as a new one.',
  },
  take: { from: ['whole', 'opened'], to: 'opened', refusal: 'Nothing is left of this item.' },
  end: { from: ['whole', 'opened'], to: 'ended', refusal: 'This item has ended already.' },
  // What was booked by mistake comes back.
  counter: { from: ['opened', 'ended'], to: 'opened', refusal: 'Nothing was taken from this item.' },
};

/** The state that a balance means. */
export const stateOf = (onHand: number, isOpened: boolean): ItemState =>
  onHand === 0 ? 'ended' : isOpened ? 'opened' : 'whole';

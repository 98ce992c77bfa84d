import type { TransitionTable } from '../transitions';

/** The states of a quote. */
export const QUOTE_STATES = ['draft', 'sent', 'accepted', 'declined'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

export const QUOTE_EVENTS = ['edit', 'send', 'accept', 'decline', 'delete'] as const;
export type QuoteEvent = (typeof QUOTE_EVENTS)[number];

/** All transitions of a quote: whatever is not here is refused. What was sent never changes by itself. */
export const QUOTE_TRANSITIONS: TransitionTable<QuoteState, QuoteEvent> = {
  edit: { from: ['draft'], to: 'draft', refusal: 'A quote that was sent stays as it is; make a new one.' },
  send: { from: ['draft'], to: 'sent', refusal: 'This quote has been sent already.' },
  accept: { from: ['sent'], to: 'accepted', refusal: 'Only a quote that was sent can be accepted.' },
  decline: { from: ['sent'], to: 'declined', refusal: 'Only a quote that was sent can be declined.' },
  delete: { from: ['draft'], to: null, refusal: 'A quote that was sent is kept for the record.' },
};

/** The state of the quote that the customer took. */
export const ACCEPTED = 'accepted' satisfies QuoteState;

/** The customer has taken the quote: it is the order's price. */
export const isAccepted = (state: QuoteState): boolean => state === ACCEPTED;

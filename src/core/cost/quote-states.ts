/** The states of a quote. */
export const QUOTE_STATES = ['draft', 'sent', 'accepted', 'declined'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

export const QUOTE_EVENTS = ['edit', 'send', 'accept', 'decline', 'delete'] as const;
export type QuoteEvent = (typeof QUOTE_EVENTS)[number];

interface Transition {
  from: readonly QuoteState[];
  /** Null: the quote is gone. */
  to: QuoteState | null;
  /** What is said in any other state. */
  refusal: string;
}

/** All transitions of a quote: whatever is not here is refused. What was sent never changes by itself. */
export const QUOTE_TRANSITIONS: Record<QuoteEvent, Transition> = {
  edit: { from: ['draft'], to: 'draft', refusal: 'A quote that was sent stays as it is; make a new one.' },
  send: { from: ['draft'], to: 'sent', refusal: 'This quote has been sent already.' },
  accept: { from: ['sent'], to: 'accepted', refusal: 'Only a quote that was sent can be accepted.' },
  decline: { from: ['sent'], to: 'declined', refusal: 'Only a quote that was sent can be declined.' },
  delete: { from: ['draft'], to: null, refusal: 'A quote that was sent is kept for the record.' },
};

/** Why something can't happen to a quote in a state, or null where it can. */
export const quoteRefusal = (event: QuoteEvent, state: QuoteState): string | null =>
  QUOTE_TRANSITIONS[event].from.includes(state) ? null : QUOTE_TRANSITIONS[event].refusal;

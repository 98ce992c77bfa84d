import type { BatchState } from './batch-states';

/** The states of an order line, which follow its batch's; an order is in the state of the line that is least far. */
export const LINE_STATES = ['waiting', 'batched', 'approved', 'cut'] as const;
export type LineState = (typeof LINE_STATES)[number];

/** The state of a line by that of its batch; null: it is in none. */
export const lineStateOf = (batch: BatchState | null): LineState =>
  batch === null ? 'waiting' : batch === 'approved' || batch === 'cut' ? batch : 'batched';

/** What can happen to an order line. */
export const LINE_EVENTS = ['take', 'edit', 'remove', 'release', 'approve', 'withdraw', 'cut'] as const;
export type LineEvent = (typeof LINE_EVENTS)[number];

const FROZEN = 'This line is in an approved batch and stays as it is.';

/** All transitions of an order line; null: the line is gone. Whatever is not here is refused. */
export const LINE_TRANSITIONS: Record<
  LineEvent,
  { from: readonly LineState[]; to: LineState | 'same' | null; refusal: string }
> = {
  take: { from: ['waiting'], to: 'batched', refusal: 'This line is in a batch already.' },
  edit: { from: ['waiting', 'batched'], to: 'same', refusal: FROZEN },
  remove: { from: ['waiting', 'batched'], to: null, refusal: FROZEN },
  // Out of its batch, or its batch is deleted.
  release: { from: ['batched'], to: 'waiting', refusal: 'This line is in no batch that is still open.' },
  approve: { from: ['batched'], to: 'approved', refusal: 'Only a line in a batch can be approved.' },
  withdraw: {
    from: ['approved'],
    to: 'batched',
    refusal: 'Only an approved line that is not cut yet is planned again.',
  },
  cut: { from: ['approved'], to: 'cut', refusal: 'Only an approved line can be cut.' },
};

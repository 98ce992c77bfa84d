import type { TransitionTable } from '../transitions';

/** The states of a batch. */
export const BATCH_STATES = ['draft', 'queued', 'laying', 'laid', 'failed', 'approved', 'cut'] as const;
export type BatchState = (typeof BATCH_STATES)[number];

/** Events of a batch. */
export const BATCH_EVENTS = [
  'ask',
  'take',
  'lose',
  'finish',
  'fail',
  'reopen',
  'rearrange',
  'approve',
  'withdraw',
  'cut',
  'delete',
] as const;
type BatchEvent = (typeof BATCH_EVENTS)[number];

const BEFORE_APPROVAL = ['draft', 'queued', 'laying', 'laid', 'failed'] as const;

/** All transitions of a batch: whatever is not here is refused. */
export const BATCH_TRANSITIONS: TransitionTable<BatchState, BatchEvent> = {
  ask: {
    by: 'person',
    from: ['draft', 'laid', 'failed'],
    to: 'queued',
    refusal: 'This batch is being laid already, or is approved.',
  },
  take: { by: 'worker', from: ['queued', 'laying'], to: 'laying', refusal: 'Nobody has asked for these lays.' },
  lose: { by: 'worker', from: ['laying'], to: 'queued', refusal: 'These lays are not being made.' },
  finish: { by: 'worker', from: ['laying'], to: 'laid', refusal: 'These lays are not being made any more.' },
  fail: { by: 'worker', from: ['queued', 'laying'], to: 'failed', refusal: 'These lays are not being made any more.' },
  // Its orders have changed, or a line was taken out: its lays no longer hold.
  reopen: { by: 'person', from: BEFORE_APPROVAL, to: 'draft', refusal: 'An approved batch is kept as it is.' },
  // The cutter has moved something on the table, or taken another way of laying it.
  rearrange: {
    by: 'person',
    from: ['laid'],
    to: 'laid',
    refusal: 'Only lays that are made and not approved yet are changed on the table.',
  },
  approve: { by: 'person', from: ['laid'], to: 'approved', refusal: 'Make the lays first, then approve them.' },
  // Planned again before it is cut: what was reserved for it is free again.
  withdraw: {
    by: 'person',
    from: ['approved'],
    to: 'laid',
    refusal: 'Only an approval of what is not cut yet is taken back.',
  },
  cut: { by: 'person', from: ['approved'], to: 'cut', refusal: 'Only an approved batch can be cut.' },
  delete: { by: 'person', from: BEFORE_APPROVAL, to: null, refusal: 'An approved batch is kept for the record.' },
};

/** The states of a batch that stays as it is. */
export const FROZEN_STATES: BatchState[] = ['approved', 'cut'];

/** An approved batch and what it was made from stay as they are. */
export const isFrozen = ({ status }: { status: BatchState }): boolean => FROZEN_STATES.includes(status);

/** The lays of the batch are asked for, or are being made. */
export const isBeingLaid = (status: BatchState): boolean => status === 'queued' || status === 'laying';

/** All lays of the batch have been cut; also of an order and its lines, which are where their batch is. */
export const isCut = (status: string): boolean => status === 'cut';

/** The lays of the batch came to nothing. */
export const hasFailed = (status: BatchState): boolean => status === 'failed';

/** Lines are still chosen for the batch: nobody has asked for its lays, or they no longer hold. */
export const isDraft = (status: BatchState): boolean => status === 'draft';

/** Lays of the batch are there, and have not all been cut. */
export const hasLays = (status: BatchState): boolean => status === 'laid' || status === 'approved';

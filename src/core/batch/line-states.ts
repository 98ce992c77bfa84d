import type { BatchState } from './batch-states';

/** The states of an order line: its batch's, then its covers'. An order is in the state of the cover that is least far. */
export const LINE_STATES = [
  'waiting',
  'batched',
  'approved',
  'cut',
  'in sewing',
  'to check',
  'checked',
  'packed',
  'handed over',
] as const;
export type LineState = (typeof LINE_STATES)[number];

/** The state of a line by that of its batch, before it has covers; null: it is in none. */
export const lineStateOf = (batch: BatchState | null): LineState =>
  batch === null ? 'waiting' : batch === 'approved' || batch === 'cut' ? batch : 'batched';

/** Tells whether an order line can be edited, removed or taken out of its batch: until its batch is approved. */
export const canChangeLine = (state: LineState): boolean => state === 'waiting' || state === 'batched';

/** Nothing is left to do for it. */
export const isHandedOver = (state: LineState): boolean => state === 'handed over';

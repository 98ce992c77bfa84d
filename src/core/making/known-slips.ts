import { CAUSE_LABELS, type Cause } from './check';

/** A slip that was found often on a kind. */
export interface KnownSlip {
  kind: string;
  cause: Cause;
  times: number;
  /** The newest finding of it, in its own words. */
  lately: string;
}

/** Slips of a kind as one text, to be read before the next is made; empty where there is none. */
export const slipsText = (slips: readonly KnownSlip[], kind: string): string =>
  slips
    .filter((slip) => slip.kind === kind)
    .map(
      ({ cause, times, lately }) =>
        `Found ${times} times on this kind (${CAUSE_LABELS[cause].toLowerCase()}), lately: ${lately}.`,
    )
    .join(' ');

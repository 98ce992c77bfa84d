import type { Cloth } from '../cloth';
import type { JobPart } from '../cutlist';
import type { LayJob, LayPlan } from '../lay';

/**
 * The lay document: what was to be laid on which cloth, how it lies, and whose part is whose. It is what is stored, drawn, priced and
 * exported; everywhere between the search and the screen it is this, in nanometres.
 */
export interface Marker {
  /** Counts the lays of the same cloth of a batch, from 1. */
  version: number;
  cloth: Cloth;
  job: LayJob;
  plan: LayPlan;
  parts: readonly JobPart[];
}

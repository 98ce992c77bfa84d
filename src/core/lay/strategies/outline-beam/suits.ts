import { isPlainRoll, type LayJob } from '../../model/job';
import type { LayPart } from '../../model/parts';

/** More corners are those of traced outlines, which leave nothing over only by a miracle. */
const MOST_CORNERS = 4_000;

/** True when a job's lays are of a kind that this search knows: one plain length, nothing with a phase, no gap. */
export const suitsOutlineBeam = ({ stock, gap, straight, lattice }: LayJob, parts: readonly LayPart[]): boolean =>
  !straight &&
  gap === 0 &&
  isPlainRoll(stock) &&
  parts.every(({ match, block }) => (!match || !lattice) && !block) &&
  parts.reduce((sum, { outlines }) => sum + (outlines?.ring.length ?? 4), 0) <= MOST_CORNERS;

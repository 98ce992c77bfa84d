import { wrap } from '../../cloth';
import type { Nm } from '../../length';

/**
 * A stretch along the cloth where a box of one size may lie: the lowest and the highest place (nm) of its lower side, and how
 * far left and right it may reach there. Below, above and beside it there is nothing to be found.
 */
export interface Opening {
  from: Nm;
  to: Nm;
  left: Nm;
  right: Nm;
}

/** The least place (nm) at or above y that lies at `rest` in steps of `every`; y itself when that is 0. */
export const raised = (y: Nm, rest: Nm, every: Nm): Nm => (every === 0 ? y : y + wrap(rest - y, every));

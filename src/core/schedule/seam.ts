import type { TakeOff } from '../covers';
import { NM } from '../length';

/**
 * Length of the seams of one cover in metres, by its finished size: round the face once where it is flat; round both plates and along four corners
 * where it has a boxing. Rough on purpose: minutes follow it, nothing is cut by it. From memory.
 */
export function seamMetres({ finished: { width, height, thickness = 0 } }: Pick<TakeOff, 'finished'>): number {
  const round = 2 * (width + height);
  return Math.max(0.1, (thickness > 0 ? 2 * round + 4 * thickness : round) / NM.m);
}

import type { Nm } from '../length';
import type { Repeat } from './cloth';

/**
 * The lattice of a pattern: its points are i*(across, shift) + j*(0, along) for all whole i and j (lay-job format,
 * "Phase"). 0 across leaves x free, 0 along leaves y free.
 */
export interface Lattice {
  across: Nm;
  along: Nm;
  /** How far each next repeat across is moved along: drop * along, in whole nanometres. */
  shift: Nm;
}

/** The lattice of a repeat, or null for a cloth without a pattern to match. */
export function latticeOf(repeat: Repeat | null | undefined): Lattice | null {
  if (!repeat || (repeat.across === 0 && repeat.along === 0)) return null;
  return { across: repeat.across, along: repeat.along, shift: Math.round(repeat.drop * repeat.along) };
}

/** The remainder of `value` modulo `step`, at least 0 and less than step; 0 when step is 0 (a free direction). */
export function wrap(value: number, step: number): number {
  if (step === 0) return 0;
  const rest = value % step;
  // Adding 0 makes -0 a plain 0.
  return rest < 0 ? rest + step : rest + 0;
}

/**
 * The phase of a point: two points have the same phase exactly when they differ by a lattice vector.
 * x in [0, across), y in [0, along), 0 in a free direction.
 */
export function phaseOf(x: Nm, y: Nm, lattice: Lattice): [Nm, Nm] {
  if (lattice.across === 0) return [0, wrap(y, lattice.along)];
  const column = Math.floor(x / lattice.across);
  return [x - column * lattice.across, wrap(y - column * lattice.shift, lattice.along)];
}

/** The least x' >= x with x' congruent to `phase` modulo the repeat across (x itself when that direction is free). */
export const nextAcross = (x: Nm, phase: Nm, { across }: Lattice): Nm =>
  across === 0 ? x : x + wrap(phase - x, across);

/**
 * The least y' >= y at which a point at `x` (already on its phase across) has the phase (phaseX, phaseY):
 * the column it stands in says how far the pattern has dropped.
 */
export function nextAlong(x: Nm, y: Nm, [phaseX, phaseY]: readonly [Nm, Nm], lattice: Lattice): Nm {
  if (lattice.along === 0) return y;
  const column = lattice.across === 0 ? 0 : Math.round((x - phaseX) / lattice.across);
  return y + wrap(phaseY + column * lattice.shift - y, lattice.along);
}

/** Where across the cloth the lower left corner of a part may lie (nm): from `from` to `to`, its own start of the pattern at `phase`. */
export interface Span {
  from: Nm;
  to: Nm;
  phase: Nm;
}

/** The least of what a length must grow for rounding alone: a nanometre on either side. */
const HARDLY = 2;

/**
 * By how much (nm) a part misses the cloth at the place of the pattern where it misses it least; 0 when there is a place for it.
 * It starts at its phase plus whole repeats across.
 */
export function missAcross({ from, to, phase }: Span, lattice: Lattice): Nm {
  if (to < from) return from - to;
  const first = nextAcross(from, phase, lattice);
  const over = first - to;
  return over <= HARDLY ? 0 : Math.min(over, from - (first - lattice.across));
}

/** Tells whether parts that share a phase, each with its start of the pattern `phase` away from it, all have a place across the cloth. */
export function canShareAPhase(spans: readonly Span[], lattice: Lattice): boolean {
  if (spans.some(({ from, to }) => to < from)) return false;
  if (lattice.across === 0) return true;
  // If there is such a phase at all, there is one at which some part lies as far to the left as it can.
  return spans.some((one) =>
    spans.every(({ from, to, phase }) => missAcross({ from, to, phase: one.from - one.phase + phase }, lattice) === 0),
  );
}

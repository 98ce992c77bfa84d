import type { KindInspection } from '../kind';
import { either } from './shared';

// Looks at the finished cover that several kinds share. Common practice, no source.

/** Tolerances: 1/8 in by the tape, 1/4 on soft fills. */
export const FIRM = either('inch(1/8)', 'mm(3)');

export const SOFT = either('inch(1/4)', 'mm(6)');

export const measured = (
  what: string,
  size: string,
  tolerance: string = FIRM,
  rest: Partial<KindInspection> = {},
): KindInspection => ({ what, size, tolerance, ...rest });

export const seen = (what: string, helps?: string, when?: string): KindInspection => ({
  what,
  ...(helps && { helps }),
  ...(when && { when }),
});

export const SHORT =
  'Short by less than {metric ? mm(6) : inch(1/4)}: ease the form, or choose the other school of fit; more: sew again.';

const STRIPE = 'Off by up to {metric ? mm(3) : inch(1/8)}: press and accept; more: unpick that seam.';

export const softSizes = (width: string, height: string): KindInspection[] => [
  measured('width', width, SOFT, { helps: SHORT }),
  measured('height', height, SOFT, { helps: SHORT }),
];

/** Foam covers and plates are measured both ways and over their diagonals. */
export const plateSizes = (length: string, width: string, tolerance: string = FIRM): KindInspection[] => [
  measured('length', length, tolerance, { helps: SHORT }),
  measured('depth', width, tolerance, { helps: SHORT }),
  measured('both diagonals, equal', `diagonal(${length}, ${width})`, SOFT, {
    helps: 'Ease the longer diagonal over the form; unpick a corner that was sewn out of square.',
  }),
];

export const threads: KindInspection = seen(
  'corners full, no loose threads',
  'Push the filling into the corners; trim the threads.',
);

/** The same of a cover without a filling. */
export const trimmed: KindInspection = seen(
  'corners square, no loose threads',
  'Push the corners out with a blunt point; trim the threads.',
);

export const overlapCloses: KindInspection[] = [
  seen('overlap closes on the filled form without gaping', 'A hidden snap in the middle of the overlap.'),
  seen('hems straight'),
  seen('print upright on both faces'),
];

export const zipRuns = (when?: string): KindInspection[] => [
  seen(
    'zip runs its whole length with the filling in',
    'Free the seam beside the teeth; a trimmed coil is sewn across again.',
    when,
  ),
  seen('ends of the zip closed, its teeth hidden where they should be', undefined, when),
];

export const boxingLooks: KindInspection[] = [
  seen(
    'boxing seams at the corners, within {metric ? mm(3) : inch(1/8)}',
    'Unpick the side that wandered and sew from its middle.',
  ),
  seen('stripes meet from plate to boxing', STRIPE),
];

export const pipingLooks = (when?: string): KindInspection =>
  seen('piping tight and without pull at the corners, its join not at a corner', 'Sew again closer to the cord.', when);

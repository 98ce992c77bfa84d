import type { KindInspection, KindOption, Measure } from '../kind';
import { either } from './shared';
import { seen, trimmed } from './looks';

export type OldCover = Pick<Measure, 'fromSeams' | 'fromCut'>;

export const wrapAndHeight = (wrap: OldCover, height: OldCover): Measure[] => [
  {
    id: 'wrap',
    label: 'Wrap',
    hint: 'front edge, round the spine, to back edge in one go, the book closed',
    tape: 'wrap',
    ...wrap,
  },
  { id: 'height', label: 'Height', hint: 'of the cover, top to bottom', tape: 'tall', ...height },
];

/** Looks at a cover that a book goes into; nobody taps its diagonals. */
export const onTheBook: KindInspection[] = [
  seen('closes on the book without strain'),
  seen('flaps the same width'),
  seen('edges even'),
  trimmed,
];

export const spineOption: KindOption = {
  id: 'spine',
  isRare: true,
  label: 'Spine',
  type: 'length',
  hint: 'its thickness, to find the middle of the front',
};

/** A flap of one layer has its hem where the doubled one has its fold. */
export const SINGLE_HEM = either('inch(1)', 'cm(2)');

export const ONE_TURN = either('inch(1/2)', 'cm(1)');

export const flapLayers = (usual: 'single' | 'doubled'): KindOption => ({
  id: 'flaps',
  label: 'Flaps',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'doubled', label: 'doubled, folded in half' },
    { id: 'single', label: 'single, hemmed' },
  ],
  default: usual,
});

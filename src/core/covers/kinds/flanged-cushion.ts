import type { CoverKind } from '../kind';
import { flangeMarks } from './marks';
import { CAUTION, cutStep, edgesOption, edgesSteps, overlapChecks, padMeasures, seamOf } from './shared';

/** Kind E: an envelope cushion with a flange stitched in all round. Common practice, no source. */
export const flangedCushion: CoverKind = {
  id: 'flanged-cushion',
  letter: 'E',
  name: 'Flanged cushion',
  version: 3,
  about: 'A flat flange stands out round the pad; the back is in two hemmed parts.',
  drawing: 'flange',
  object: 'pad',
  fill: 'soft',
  measures: [...padMeasures, { id: 'flange', label: 'Flange', hint: 'how far the flange stands out', tape: 'edge' }],
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    {
      id: 'hem',
      label: 'Back hems',
      type: 'hem',
      default: ['inch(1/4)', 'inch(1/4)'],
      metric: ['mm(6)', 'mm(6)'],
      hint: 'one turn, or two with a +',
    },
    {
      id: 'overlap',
      label: 'Overlap',
      type: 'length',
      default: 'inch(6)',
      metric: 'cm(15)',
      hint: 'how far the backs lie over each other',
    },
    edgesOption,
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: '-inch(1)' },
  results: [
    { name: 'cutWidth', is: 'asCut ? width : width + 2 * flange + allowance' },
    { name: 'cutHeight', is: 'asCut ? height : height + 2 * flange + allowance' },
    { name: 'back', is: '(cutHeight + overlap) / 2 + hem' },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam', flange: 'flange' },
  pieces: [
    {
      name: 'front',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'cutHeight / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'back panel', role: 'back', qty: 2, across: 'cutWidth', along: 'back' },
  ],
  strips: [],
  notions: [],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  marks: flangeMarks,
  checks: [
    ...overlapChecks('overlap', 'back panels'),
    {
      code: 'flange-wide',
      field: 'flange',
      level: 'warn',
      when: 'flange > min(width, height) / 3',
      message: 'A flange of {flange} is wide for this pad and will flop; up to a third of the pad is usual.',
    },
  ],
  steps: [
    cutStep,
    {
      do: 'Hem one long edge of each back panel: press the turns, then stitch along the fold.',
      stitch: 'seam',
      caution: CAUTION.iron,
    },
    {
      do: 'Lay the backs over the front right sides together and sew all round at the seam allowance.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    ...edgesSteps,
    { do: 'Clip the corners, turn with a blunt point, press, and mark the flange all round.' },
    {
      marks: ['stitch line'],
      do: 'Stitch the flange in along the mark; on a bold pattern all four lines fall at the same place of the pattern.',
      stitch: 'seam',
    },
    { do: 'Check: flange equal on four sides within 1/8 in, corners square.' },
  ],
};

import type { CoverKind } from '../kind';
import { envelopeMarks } from './marks';
import { CAUTION, cutStep, edgesOption, edgesSteps, overlapChecks, padMeasures, seamOf } from './shared';

/** Kind A: one front, two hemmed backs that overlap. Common practice, no source. */
export const envelopeCushion: CoverKind = {
  id: 'envelope-cushion',
  letter: 'A',
  name: 'Envelope cushion',
  version: 2,
  about: 'One front and two hemmed backs that overlap; no closure.',
  drawing: 'envelope',
  object: 'pad',
  fill: 'soft',
  measures: padMeasures,
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
      hint: 'how far the backs lie over each other; 6 in unless the back is given',
    },
    {
      id: 'backCut',
      label: 'Back cut',
      type: 'length',
      hint: 'each back’s cut height, when you fix that instead of the overlap',
    },
    edgesOption,
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: '-inch(1)' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    { name: 'wanted', is: 'overlapGiven ? overlap : inch(6)', inline: true },
    { name: 'back', is: 'backCutGiven ? backCut : (cutHeight + wanted) / 2 + hem' },
    { name: 'lies', is: '2 * (back - hem) - cutHeight' },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam', overlap: 'lies' },
  pieces: [
    {
      name: 'front',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'back panel', role: 'back', qty: 2, across: 'cutWidth', along: 'back' },
  ],
  strips: [],
  notions: [],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  marks: envelopeMarks,
  checks: [
    ...overlapChecks('lies', 'back panels'),
    {
      code: 'overlap-over-panel',
      field: 'overlap',
      level: 'warn',
      when: 'lies > back - hem',
      message: 'An overlap of {lies} is more than a back panel covers ({back - hem} hemmed); make it less.',
    },
    {
      code: 'overlap-disagrees',
      field: 'overlap',
      level: 'warn',
      when: 'backCutGiven && overlapGiven && overlap != lies',
      message: 'Backs cut at {backCut} overlap {lies}, not {overlap}; the back cut is used. Clear one of the two.',
    },
  ],
  steps: [
    cutStep,
    {
      do: 'Hem one long edge of each back panel: press the turns, then stitch along the fold.',
      stitch: 'seam',
      caution: CAUTION.iron,
    },
    { do: 'Lay the front face up, the upper back face down on it, then the lower back; pin the four sides.' },
    {
      do: 'Sew round all four sides at the seam allowance; backstitch where the hems cross.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Clip the corners.' },
    ...edgesSteps,
    { do: 'Turn with a blunt point and press.', caution: CAUTION.iron },
    { do: 'Check: diagonals equal, the overlap stays shut over the pad.' },
  ],
};

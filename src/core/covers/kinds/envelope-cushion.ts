import type { CoverKind } from '../kind';
import { envelopeMarks } from './marks';
import { edgesOption, either, overlapChecks, padMeasures, padNotion, seamOf } from './shared';
import { cutStep, edgesSteps, fillStep, hemStep, markStep, pinsOption, seamStep, turnStep } from './steps';
import { measured, overlapCloses, SOFT, softSizes, threads } from './looks';
import { PAD_SIZES } from './usual-sizes';

/** Kind A: one front, two hemmed backs that overlap. Common practice, no source. */
export const envelopeCushion: CoverKind = {
  id: 'envelope-cushion',
  letter: 'A',
  name: 'Envelope cushion',
  version: 3,
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
      hint: 'how far the backs lie over each other; 6 in, 15 cm, unless the back is given',
    },
    {
      id: 'backCut',
      label: 'Back cut',
      type: 'length',
      hint: 'each back’s cut height, when you fix that instead of the overlap',
    },
    edgesOption,
    pinsOption,
  ],
  usualSizes: PAD_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: `-${either('inch(1)', 'cm(2.5)')}` },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    { name: 'wanted', is: `overlapGiven ? overlap : ${either('inch(6)', 'cm(15)')}`, inline: true },
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
  notions: [padNotion()],
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
  inspections: [
    ...softSizes('cutWidth - 2 * seam', 'cutHeight - 2 * seam'),
    measured('overlap', 'lies', SOFT),
    ...overlapCloses,
    threads,
  ],
  steps: [
    cutStep,
    markStep('the hem of each back', ['hem line']),
    hemStep('Hem one long edge of each back panel: press the turns, then stitch along the fold.', 'hem'),
    {
      do: 'Lay the front face up, the upper back face down on it, then the lower back; pin the four sides.',
      before: {
        ask: 'Does the print run the same way on front and backs?',
        helps: 'Turn the back that stands on its head before anything is sewn.',
      },
      tools: ['pins'],
    },
    seamStep('Sew round all four sides; forward, back and forward again where the hems cross a side seam.'),
    ...edgesSteps,
    turnStep(),
    fillStep(),
  ],
};

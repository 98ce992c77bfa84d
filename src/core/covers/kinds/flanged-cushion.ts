import type { CoverKind } from '../kind';
import { flangeMarks } from './marks';
import { edgesOption, either, overlapChecks, padMeasures, padNotion, seamOf } from './shared';
import { cutStep, edgesSteps, fillStep, hemStep, markStep, pinsOption, seamStep, turnStep } from './steps';
import { FIRM, measured, overlapCloses, seen, softSizes, threads } from './looks';
import { FLANGED_SIZES } from './usual-sizes';

/** Kind E: an envelope cushion with a flange stitched in all round. Common practice, no source. */
export const flangedCushion: CoverKind = {
  id: 'flanged-cushion',
  letter: 'E',
  name: 'Flanged cushion',
  version: 4,
  about: 'A flat flange stands out round the pad; the back is in two hemmed parts.',
  drawing: 'flange',
  object: 'pad',
  fill: 'soft',
  measures: [
    ...padMeasures.map((measure) => ({
      ...measure,
      fromSeams: `${measure.fromSeams} - 2 * flange`,
      fromCut: `${measure.fromCut} - 2 * flange`,
    })),
    { id: 'flange', label: 'Flange', hint: 'how far the flange stands out', tape: 'edge' },
  ],
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
    pinsOption,
  ],
  usualSizes: FLANGED_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: `-${either('inch(1)', 'cm(2.5)')}` },
  results: [
    { name: 'cutWidth', is: 'width + 2 * flange + allowance' },
    { name: 'cutHeight', is: 'height + 2 * flange + allowance' },
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
  notions: [padNotion()],
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
  inspections: [
    ...softSizes('cutWidth - 2 * seam', 'cutHeight - 2 * seam'),
    measured('flange, all four sides alike', 'flange', FIRM, {
      helps: 'Unpick the side that is off and sew it again from the finished edge.',
    }),
    seen('stitch line at the same place of the pattern on all four sides'),
    ...overlapCloses.slice(0, 2),
    threads,
  ],
  steps: [
    cutStep,
    markStep('the hem of each back', ['hem line']),
    hemStep('Hem one long edge of each back panel: press the turns, then stitch along the fold.', 'hem'),
    seamStep('Lay the backs over the front, right sides together, and sew round all four sides.', {
      before: {
        ask: 'Does the print run the same way on front and backs?',
        helps: 'Turn the back that stands on its head before anything is sewn.',
      },
    }),
    ...edgesSteps,
    turnStep(),
    {
      do: 'On the right side, set a line of pins all round, {flange} from the finished edge; on light cloth press the line instead.',
      tip: 'Velour does not bear a hot iron: pins there.',
      tools: ['pins', 'tape measure', 'iron'],
    },
    seamStep('From the right side, stitch the flange in along that line.', {
      seam: 'flange',
      tip: 'On a bold pattern all four lines fall at the same place of the pattern. Needle down at the corners.',
    }),
    fillStep(),
  ],
};

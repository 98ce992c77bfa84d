import type { CoverKind } from '../kind';
import { wrapMarks } from './marks';
import { edgesOption, either, overlapChecks, padMeasures, padNotion, seamOf } from './shared';
import { cutStep, edgesSteps, fillStep, hemStep, markStep, pinsOption, seamStep, turnStep } from './steps';
import { measured, overlapCloses, SOFT, softSizes, threads } from './looks';
import { PAD_SIZES } from './usual-sizes';

/** Kind B: one strip wrapped round the pad, its hemmed ends overlapping at the back. Common practice, no source. */
export const wrapCushion: CoverKind = {
  id: 'wrap-cushion',
  letter: 'B',
  name: 'Wrapped cushion in one piece',
  version: 4,
  about: 'One strip goes round the pad; its hemmed ends overlap at the back.',
  drawing: 'wrap',
  object: 'pad',
  fill: 'soft',
  measures: padMeasures.map((measure) =>
    // Both hems and the overlap come off an old strip, and it went round twice.
    measure.id === 'height'
      ? { ...measure, fromCut: '(height - overlap - 2 * hem) / 2 + 2 * seam - allowance' }
      : measure,
  ),
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    {
      id: 'hem',
      label: 'End hems',
      type: 'hem',
      default: ['inch(1/4)', 'inch(1)'],
      metric: ['mm(6)', 'cm(2.5)'],
      hint: 'one turn, or two with a +',
    },
    {
      id: 'overlap',
      label: 'Overlap',
      type: 'length',
      default: 'inch(4)',
      metric: 'cm(10)',
      hint: '4 in, 10 cm, on small pads, up to 3/4 of the height for easy filling',
    },
    {
      id: 'opening',
      label: 'Opening',
      isRare: true,
      type: 'choice',
      choices: [
        { id: 'middle', label: 'across the middle of the back' },
        { id: 'edge', label: 'at an edge, the flap turned over it' },
      ],
      default: 'middle',
    },
    edgesOption,
    pinsOption,
  ],
  usualSizes: PAD_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: `-${either('inch(1)', 'cm(2.5)')}` },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    // Top and bottom are folds, so the height takes only what the fit takes away.
    { name: 'cutLength', is: '2 * (height + allowance - 2 * seam) + overlap + 2 * hem' },
    { name: 'face', is: 'height + allowance - 2 * seam', inline: true },
    // The outer flap, at the upper end, is brought the overlap past the middle of the back, or turned over a whole overlap at an edge.
    { name: 'outerFlap', is: "opening == 'middle' ? face / 2 + overlap * 3 / 4 : overlap", inline: true },
    { name: 'upperFold', is: 'cutLength - hem - outerFlap' },
    { name: 'lowerFold', is: 'upperFold - face' },
  ],
  finished: {
    width: 'cutWidth - 2 * seam',
    height: 'height + allowance - 2 * seam',
    overlap: 'overlap',
  },
  pieces: [
    {
      name: 'wrap',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutLength',
      match: { anchor: ['cutWidth / 2', '(upperFold + lowerFold) / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
  ],
  strips: [],
  notions: [padNotion()],
  centre: ['cutWidth / 2', '(upperFold + lowerFold) / 2'],
  marks: wrapMarks,
  checks: [
    ...overlapChecks('overlap', 'ends'),
    {
      code: 'overlap-over-panel',
      field: 'overlap',
      level: 'warn',
      when: 'overlap > height',
      message: 'An overlap of {overlap} is more than the back of {height}; make it less.',
    },
  ],
  inspections: [
    ...softSizes('cutWidth - 2 * seam', 'height + allowance - 2 * seam'),
    measured('overlap', 'overlap', SOFT),
    ...overlapCloses,
    threads,
  ],
  steps: [
    cutStep,
    markStep('hems, folds and the centre line', [
      'upper hem line',
      'lower hem line',
      'first fold',
      'second fold',
      'centre line',
    ]),
    hemStep('Hem both short ends: press the turns, then stitch along the fold.', 'hem'),
    {
      do: 'Fold right sides together: the end of the outer flap {overlap} past the centre line, the other end just onto it. The folds fall at the marks.',
      marks: ['first fold', 'second fold'],
      when: "opening == 'middle'",
      before: {
        ask: 'Does the outer flap read upright?',
        helps: 'Turn the strip round: the end where the print runs up becomes the outer flap.',
      },
      tools: ['pins'],
    },
    {
      do: 'Fold right sides together: the outer flap {overlap} from its hemmed edge, the second fold {upperFold - lowerFold} further.',
      marks: ['first fold', 'second fold'],
      when: "opening == 'edge'",
      before: {
        ask: 'Does the outer flap read upright?',
        helps: 'Turn the strip round: the end where the print runs up becomes the outer flap.',
      },
      tools: ['pins'],
    },
    seamStep('Sew the two sides; forward, back and forward again where the overlap meets them.'),
    ...edgesSteps,
    turnStep('Turn with a blunt point and press.'),
    fillStep(),
  ],
};

import type { CoverKind } from '../kind';
import { wrapMarks } from './marks';
import { CAUTION, cutStep, edgesOption, edgesSteps, overlapChecks, padMeasures, seamOf } from './shared';

/** Kind B: one strip wrapped round the pad, its hemmed ends overlapping at the back. Common practice, no source. */
export const wrapCushion: CoverKind = {
  id: 'wrap-cushion',
  letter: 'B',
  name: 'Wrapped cushion in one piece',
  version: 3,
  about: 'One strip goes round the pad; its hemmed ends overlap at the back.',
  drawing: 'wrap',
  object: 'pad',
  fill: 'soft',
  measures: padMeasures,
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
      hint: '4 in on small pads, up to 3/4 of the height for easy filling',
    },
    edgesOption,
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: '-inch(1)' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    // Top and bottom are folds, so the height takes only what the fit takes away.
    { name: 'cutLength', is: 'asCut ? height : 2 * (height + allowance - 2 * seam) + overlap + 2 * hem' },
  ],
  finished: {
    width: 'cutWidth - 2 * seam',
    height: 'asCut ? (cutLength - overlap - 2 * hem) / 2 : height + allowance - 2 * seam',
    overlap: 'overlap',
  },
  pieces: [
    {
      name: 'wrap',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutLength',
      match: { anchor: ['cutWidth / 2', 'cutLength / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
  ],
  strips: [],
  notions: [],
  centre: ['cutWidth / 2', 'cutLength / 2'],
  marks: wrapMarks,
  checks: [
    ...overlapChecks('overlap', 'ends'),
    {
      code: 'overlap-over-panel',
      field: 'overlap',
      level: 'warn',
      when: '!asCut && overlap > height',
      message: 'An overlap of {overlap} is more than the back of {height}; make it less.',
    },
  ],
  steps: [
    cutStep,
    {
      do: 'Hem both short ends: press the turns, then stitch along the fold.',
      marks: ['upper hem line', 'lower hem line'],
      stitch: 'seam',
      caution: CAUTION.iron,
    },
    {
      do: 'Fold the strip right sides together, {overlap} from the hemmed edge of the outer flap and {(cutLength - overlap - 2 * hem) / 2} further, so that the ends overlap at the back and the outer flap reads upright.',
      marks: ['first fold', 'second fold'],
    },
    {
      do: 'Sew the two sides at the seam allowance; backstitch over the overlap.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    ...edgesSteps,
    { do: 'Turn with a blunt point and press.', caution: CAUTION.iron },
    { do: 'Check: the outer flap reads upright, the overlap stays shut.' },
  ],
};

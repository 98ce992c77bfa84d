import type { CoverKind } from '../kind';
import { platformNotchedMarks, tuftChecks, tuftOptions } from './marks';
import { blockMeasures, either, foamNotion, foamOption, foamPiece, seamOf } from './shared';
import { CAUTION, cutStep, markStep, sawStep } from './steps';
import { measured, plateSizes, seen, threads } from './looks';
import { NOTCHED_SIZES } from './usual-sizes';

const wrapped = (id: string) => ({
  fromSeams: `${id} + under`,
  fromCut: `${id} - 2 * (thickness + wrap)`,
});

/** Kind J: a stapled platform cushion from one plate with notched corners. Common practice, no source. */
export const platformNotched: CoverKind = {
  id: 'platform-notched',
  letter: 'J',
  name: 'Stapled platform cushion, one notched plate',
  version: 4,
  about: 'One plate with its corners cut out; only the four corner seams are sewn.',
  drawing: 'box',
  object: 'block',
  fill: 'firm',
  measures: [
    ...blockMeasures.map((measure) =>
      measure.id === 'thickness'
        ? { id: 'thickness', label: 'Thickness', hint: 'the foam’s thickness', tape: 'high' }
        : { ...measure, ...wrapped(measure.id) },
    ),
    { id: 'wrap', label: 'Wrap', hint: 'what goes under the board to be stapled', tape: 'under' },
  ],
  options: [
    seamOf('inch(1/2)', 'mm(15)'),
    {
      id: 'under',
      label: 'Under',
      type: 'length',
      default: 'inch(1/2)',
      metric: 'mm(10)',
      hint: 'how much smaller the span between the notches is',
    },
    ...tuftOptions,
    foamOption,
  ],
  usualSizes: NOTCHED_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'plateLength', is: 'length + 2 * (thickness + wrap)' },
    { name: 'plateWidth', is: 'width + 2 * (thickness + wrap)' },
    { name: 'notchAcross', is: '(plateLength - (length + 2 * seam - under)) / 2' },
    { name: 'notchAlong', is: '(plateWidth - (width + 2 * seam - under)) / 2' },
  ],
  finished: { width: 'length', height: 'width', thickness: 'thickness' },
  pieces: [
    {
      name: 'plate',
      role: 'face',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'plateLength',
      along: 'plateWidth',
      outline: [
        ['notchAcross', 'inch(0)'],
        ['plateLength - notchAcross', 'inch(0)'],
        ['plateLength - notchAcross', 'notchAlong'],
        ['plateLength', 'notchAlong'],
        ['plateLength', 'plateWidth - notchAlong'],
        ['plateLength - notchAcross', 'plateWidth - notchAlong'],
        ['plateLength - notchAcross', 'plateWidth'],
        ['notchAcross', 'plateWidth'],
        ['notchAcross', 'plateWidth - notchAlong'],
        ['inch(0)', 'plateWidth - notchAlong'],
        ['inch(0)', 'notchAlong'],
        ['notchAcross', 'notchAlong'],
      ],
      match: { anchor: ['plateLength / 2', 'plateWidth / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    foamPiece('length', 'width'),
    {
      name: 'underlining',
      role: 'underlining',
      qty: 1,
      across: `length + ${either('inch(1/2)', 'cm(1)')}`,
      along: `width + ${either('inch(1/2)', 'cm(1)')}`,
    },
    {
      name: 'board',
      role: 'board',
      qty: 1,
      across: `length - ${either('inch(1/4)', 'mm(5)')}`,
      along: `width - ${either('inch(1/4)', 'mm(5)')}`,
    },
  ],
  strips: [],
  notions: [
    foamNotion('{length} x {width} x {thickness}'),
    {
      name: 'staples',
      qty: 'whole(2 * (length + width) / inch(1))',
      note: 'about one every {metric ? mm(25) : inch(1)} round the edge',
    },
  ],
  centre: ['plateLength / 2', 'plateWidth / 2'],
  marks: platformNotchedMarks,
  checks: [
    ...tuftChecks('(plateLength - 2 * notchAcross)', '(plateWidth - 2 * notchAlong)'),
    {
      code: 'notch-none',
      field: 'wrap',
      level: 'stop',
      when: 'notchAcross <= inch(0) || notchAlong <= inch(0)',
      message: 'The corner notches would be {notchAcross} by {notchAlong}; make the wrap more.',
    },
    {
      code: 'under-wide',
      field: 'under',
      level: 'warn',
      when: `under > ${either('inch(1)', 'mm(25)')}`,
      message: 'A span {under} smaller strains the corner seams; {metric ? mm(10) : inch(1/2)} is usual.',
    },
  ],
  inspections: [
    ...plateSizes('length', 'width'),
    measured('height at the corners', 'thickness'),
    seen(
      'corner seams stand on the corners, within {metric ? mm(3) : inch(1/8)}',
      'Pull the staples of both sides and turn the corner.',
    ),
    seen('plate straight on its board, no hard spots', 'Even pressure by hand; pull the staples where it is hard.'),
    seen('staples covered by the underlining'),
    threads,
  ],
  steps: [
    cutStep,
    sawStep('{length} x {width} x {thickness}'),
    markStep('the four notches', ['notch', 'tuft']),
    {
      do: 'Cut the four corner notches out, {notchAcross} by {notchAlong}.',
      marks: ['notch'],
      tools: ['shears'],
      caution: CAUTION.cutter,
    },
    {
      do: 'Baste the four corner seams with {metric ? mm(6) : inch(1/4)} tape and sew them; nothing else is sewn.',
      seam: 'seam',
      stitch: 'upholstery',
      foot: 'standard foot',
      needle: 'heavy',
      tip: 'Back-stitch at both ends: nothing else holds them.',
      tools: ['basting tape, 1/4 in'],
      caution: CAUTION.needle,
    },
    { do: 'Round the board’s corners; lay the board behind the foam.', tools: ['foam saw'], caution: CAUTION.knife },
    {
      do: 'Push the foam into the corners before the first staple; it is not glued.',
      tip: 'Even pressure by hand, or hard spots show.',
    },
    {
      do: 'Staple the middle of each side, opposite sides by turns; then each corner, its centre down first and both sides folded to it.',
      tools: ['staple gun', 'staple remover'],
      before: {
        ask: 'Does the cover sit straight on its board?',
        helps: 'Pull the few staples and shift it now; after the corners it stays as it is.',
      },
      caution: CAUTION.staples,
    },
    { do: 'Trim off what is too long beside the staples.', tools: ['shears'] },
    {
      do: 'Turn the underlining’s edge under once and staple it over all staples.',
      hem: [either('inch(1/2)', 'cm(1)')],
      tools: ['staple gun'],
      caution: CAUTION.staples,
    },
    { do: 'Look at the whole before it goes out.', caution: CAUTION.foam },
  ],
};

import type { CoverKind } from '../kind';
import { hasTufts, platformBoxedMarks, tuftChecks, tuftOptions } from './marks';
import { blockMeasures, either, foamNotion, foamOption, foamPiece, seamOf, YES_NO } from './shared';
import { CAUTION, cutStep, markStep, pinsOption, sawStep, seamStep } from './steps';
import { boxingLooks, FIRM, measured, plateSizes, seen, SOFT, threads } from './looks';
import { PLATFORM_SIZES } from './usual-sizes';

const STITCHED = `${hasTufts} && rows == 'yes'`;

/** Kind I: a stapled platform cushion with sewn boxing. Common practice, no source. */
export const platformBoxed: CoverKind = {
  id: 'platform-boxed',
  letter: 'I',
  name: 'Stapled platform cushion with sewn boxing',
  version: 4,
  about: 'A plate and four boxing parts over foam, pulled round the platform and stapled.',
  drawing: 'box',
  object: 'block',
  fill: 'firm',
  measures: blockMeasures.map((measure) =>
    measure.id === 'thickness'
      ? {
          ...measure,
          fromCut: 'thickness - grip',
          trimmed:
            'A boxing that was trimmed at its staples says nothing of the height; measure the foam, and say so here.',
        }
      : measure,
  ),
  options: [
    seamOf('inch(1/2)', 'mm(15)'),
    {
      id: 'under',
      label: 'Under',
      isRare: true,
      type: 'length',
      default: 'inch(1/2)',
      metric: 'mm(10)',
      hint: 'how much smaller the cover comes out, so that it sits tight on its foam',
    },
    {
      id: 'grip',
      label: 'Grip',
      type: 'length',
      default: 'inch(3)',
      metric: 'mm(75)',
      hint: 'allowance, wrap and what the hand pulls',
    },
    ...tuftOptions,
    {
      id: 'rows',
      isRare: true,
      when: hasTufts,
      label: 'Rows of top stitching',
      type: 'choice',
      choices: YES_NO,
      default: 'yes',
    },
    {
      id: 'sewingFoam',
      label: 'Sewing foam behind the plate',
      isRare: true,
      type: 'choice',
      choices: YES_NO,
      default: 'yes',
    },
    foamOption,
    pinsOption,
  ],
  usualSizes: PLATFORM_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam - under' },
  results: [
    { name: 'plateLength', is: 'length + allowance' },
    { name: 'plateWidth', is: 'width + allowance' },
    { name: 'boxingHeight', is: 'thickness + grip' },
  ],
  finished: {
    width: 'plateLength - 2 * seam',
    height: 'plateWidth - 2 * seam',
    thickness: 'thickness',
  },
  pieces: [
    {
      name: 'plate',
      role: 'face',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'plateLength',
      along: 'plateWidth',
      match: { anchor: ['seam', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'long boxing',
      role: 'boxing',
      qty: 2,
      across: 'plateLength',
      along: 'boxingHeight',
      match: { anchor: ['seam', 'boxingHeight - seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'short boxing', role: 'boxing', qty: 2, across: 'plateWidth', along: 'boxingHeight' },
    foamPiece('length', 'width'),
    {
      name: 'sewing foam',
      role: 'sewing foam',
      qty: 1,
      when: "sewingFoam == 'yes'",
      across: 'plateLength',
      along: 'plateWidth',
    },
    // Pulls are sewn from scraps: as long as the foam and the board are thick, with enough to draw and staple. From memory.
    {
      name: 'pull',
      role: 'boxing',
      qty: 'tuftsAcross * tuftsAlong',
      when: hasTufts,
      across: either('inch(1 1/2)', 'cm(4)'),
      along: `thickness + ${either('inch(6)', 'cm(15)')}`,
    },
    { name: 'dust cover', role: 'dust cover', qty: 1, across: 'length', along: 'width' },
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
  marks: platformBoxedMarks,
  checks: [
    ...tuftChecks('(plateLength - 2 * seam)', '(plateWidth - 2 * seam)'),
    {
      code: 'grip-short',
      field: 'grip',
      level: 'warn',
      when: `grip < ${either('inch(2)', 'cm(5)')}`,
      message:
        'A grip of {grip} leaves nothing to pull; {metric ? mm(75) : inch(3)} is usual, {metric ? cm(5) : inch(2)} the least.',
    },
  ],
  inspections: [
    ...plateSizes('plateLength - 2 * seam', 'plateWidth - 2 * seam'),
    measured('height of the boxing', 'thickness', FIRM),
    measured('tufts, from the plate down, all alike', 'thickness / 4', SOFT, {
      when: hasTufts,
      helps: 'Draw the pulls to equal depth before the second staple goes in.',
    }),
    seen('tufts on their line', undefined, hasTufts),
    ...boxingLooks,
    seen('plate straight on its board, no hard spots', 'Pull the staples of the two sides beside it and draw again.'),
    seen('staples covered by the dust cover'),
    threads,
  ],
  steps: [
    cutStep,
    sawStep('{length} x {width} x {thickness}'),
    markStep('rows, tufts, and where the screw holes lie under them,', [
      'tuft',
      'row, the short way',
      'row, the long way',
    ]),
    seamStep('Sew the four boxing parts into a ring, corner by corner.', {
      stitch: 'upholstery',
      needle: 'heavy',
    }),
    {
      do: 'Glue the sewing foam, its cloth back outwards, to the wrong side of the plate; let it flash off, then trim it to the plate.',
      when: "sewingFoam == 'yes'",
      tools: ['spray adhesive', 'shears'],
      caution: CAUTION.adhesive,
    },
    {
      do: 'Top-stitch the rows, first the short way, then the long; catch a cloth pull from scraps at each crossing.',
      marks: ['row, the short way', 'row, the long way'],
      when: STITCHED,
      stitch: 'topstitch',
      foot: 'walking foot',
      needle: 'heavy',
      tip: 'A full bobbin; reverse only inside the seam allowance, where it is hidden.',
      before: {
        ask: 'Was the row tried on a scrap, and is the bobbin full?',
        helps: 'Sew a row on a scrap with foam behind it; a row can’t be unpicked without its holes.',
      },
      caution: CAUTION.needle,
    },
    {
      do: 'Sew a cloth pull from scraps behind each tuft.',
      marks: ['tuft'],
      when: `${hasTufts} && rows == 'no'`,
      stitch: 'upholstery',
      foot: 'standard foot',
      needle: 'heavy',
      caution: CAUTION.needle,
    },
    {
      do: 'Baste the ring to the plate with {metric ? mm(6) : inch(1/4)} tape, corners over corners.',
      tools: ['basting tape, 1/4 in'],
      tip: 'Stripes are eased by up to {metric ? mm(3) : inch(1/8)} so that they meet.',
      before: {
        ask: 'Is the ring free of twists?',
        helps: 'Lay it flat round the plate once more before the tape goes on.',
      },
    },
    seamStep('Sew ring and plate together, from the middle of a side.', {
      stitch: 'upholstery',
      needle: 'heavy',
      tools: ['seam ripper'],
    }),
    {
      do: 'Put foam and cover on the board; draw the pulls through foam and board.',
      marks: ['tuft'],
      when: hasTufts,
      tools: ['long needle for tufts'],
    },
    {
      do: 'Staple the middle of each side, opposite sides by turns, slanting and few, until the seam falls alike on both sides; then all round, the corners last and opened flat.',
      tools: ['staple gun', 'staple remover'],
      before: {
        ask: 'Does the cover sit straight on its frame?',
        helps: 'Pull the few staples and shift it now; after the corners it stays as it is.',
      },
      tip: 'Mark where the screw holes lie before they are covered.',
      caution: CAUTION.staples,
    },
    {
      do: 'Draw the pulls to equal depth with one staple each, look at them from the side, then fix them.',
      when: hasTufts,
      tools: ['staple gun', 'staple remover', 'tape measure'],
      caution: CAUTION.staples,
    },
    {
      do: 'Staple the dust cover on last: the old one, if it is sound.',
      tools: ['staple gun'],
      caution: CAUTION.staples,
    },
    { do: 'Look at the whole before it goes out.', caution: CAUTION.foam },
  ],
};

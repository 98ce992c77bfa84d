import type { CoverKind } from '../kind';
import { strapPadMarks } from './marks';
import { seamOf } from './shared';
import { CAUTION, cutStep, edgeStitch, pinsOption, seamStep, turnStep } from './steps';
import { FIRM, measured, seen, trimmed } from './looks';
import { STRAP_SIZES } from './usual-sizes';

/** Kind P: a pad round a strap. Common practice, no source. */
export const strapPad: CoverKind = {
  id: 'strap-pad',
  letter: 'P',
  name: 'Strap pad',
  version: 3,
  about: 'Two squares with fleece between, closed round a strap with snaps or tape.',
  drawing: 'flat',
  object: 'strap',
  fill: 'firm',
  measures: [
    { id: 'length', label: 'Length', hint: 'finished, along the strap', tape: 'long', fromCut: 'length - allowance' },
    {
      id: 'width',
      label: 'Width',
      hint: 'finished, round the strap when open',
      tape: 'across',
      fromCut: 'width - allowance',
    },
  ],
  options: [
    seamOf('cm(1)', 'cm(1)'),
    {
      id: 'closure',
      label: 'Closure',
      type: 'choice',
      choices: [
        { id: 'snaps', label: 'snaps' },
        { id: 'tape', label: 'hook-and-loop' },
      ],
      default: 'snaps',
    },
    { id: 'snaps', label: 'Snaps', type: 'count', default: 3, when: "closure == 'snaps'" },
    pinsOption,
  ],
  usualSizes: STRAP_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutLength', is: 'length + allowance' },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutLength - 2 * seam' },
  pieces: [
    { name: 'outer', role: 'face', qty: 1, across: 'cutWidth', along: 'cutLength' },
    { name: 'inner', role: 'back', qty: 1, across: 'cutWidth', along: 'cutLength' },
    { name: 'fleece', role: 'fleece', qty: 2, across: 'cutWidth - 2 * seam', along: 'cutLength - 2 * seam' },
  ],
  strips: [],
  notions: [
    {
      name: 'snaps',
      qty: 'snaps',
      when: "closure == 'snaps' && snaps > 0",
      note: 'at {spread(snaps, length)} of the length, {mm(15)} in',
    },
    {
      name: 'hook-and-loop',
      qty: '1',
      when: "closure == 'tape'",
      length: 'length - cm(1)',
      note: 'at opposing ends of the two layers',
    },
  ],
  marks: strapPadMarks,
  checks: [
    {
      code: 'snaps-even',
      field: 'snaps',
      level: 'warn',
      when: "closure == 'snaps' && snaps / 2 == whole(snaps / 2)",
      message: 'An odd number of snaps puts one in the middle and closes without gaping; {snaps} is even.',
    },
    {
      code: 'narrow',
      field: 'width',
      level: 'warn',
      when: 'width < cm(8)',
      message: 'A width of {width} does not reach round a strap and close; {cm(18)} is usual.',
    },
  ],
  inspections: [
    measured('length', 'cutLength - 2 * seam', FIRM),
    measured('width', 'cutWidth - 2 * seam', FIRM),
    seen('snaps meet', 'Pull the snap that is off and set a larger one in its place.', "closure == 'snaps'"),
    seen('hook-and-loop meets', undefined, "closure == 'tape'"),
    seen('closes round the strap'),
    trimmed,
  ],
  steps: [
    cutStep,
    {
      do: 'Fuse a fleece behind the outer and one behind the inner, in the middle, out of the seams.',
      tools: ['iron'],
      caution: CAUTION.iron,
    },
    {
      do: 'Sew the hook-and-loop on before joining: one half on the outer, the other on the inner, at opposing ends.',
      marks: ['middle of the tape'],
      when: "closure == 'tape'",
      stitch: 'seam',
      foot: 'standard foot',
      needle: 'usual',
      tools: ['pins', 'marker'],
      caution: CAUTION.needle,
    },
    seamStep('Right sides together, sew round but for a gap of three fingers.'),
    turnStep('Clip the corners, turn through the gap with a blunt point and press.'),
    edgeStitch('Top-stitch all round, which closes the gap.'),
    {
      do: 'Mark the snaps on the finished pad, {mm(15)} in from both edges, and set them.',
      marks: ['snap, on the finished pad'],
      when: "closure == 'snaps'",
      tip: 'Buttons would catch hair.',
      before: {
        ask: 'Are the caps on the outer side of one edge, and opposite on the other?',
        helps: 'Lay the pad round the strap and look before the first one is pressed.',
      },
      tools: ['marker', 'snap setter', 'tape measure'],
      caution: CAUTION.small,
    },
    { do: 'Close it round the strap.', caution: CAUTION.belt },
  ],
};

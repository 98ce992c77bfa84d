import type { CoverKind } from '../kind';
import { paddedBookMarks } from './marks';
import { seamOf } from './shared';
import { CAUTION, cutStep, edgeStitch, hemStep, markStep, pinsOption, seamStep } from './steps';
import { FIRM, measured } from './looks';
import { BOOK_SIZES } from './usual-sizes';
import { flapLayers, ONE_TURN, onTheBook, SINGLE_HEM, spineOption, wrapAndHeight } from './book-parts';

/** Kind L: lined and padded, with turned-in flaps. Common practice, no source. */
export const paddedBookCover: CoverKind = {
  id: 'padded-book-cover',
  letter: 'L',
  name: 'Book cover, lined and padded',
  version: 4,
  about: 'Outer, lining and batting with two folded flaps; turned through a gap, so reversible.',
  drawing: 'book',
  object: 'book',
  fill: 'firm',
  measures: [
    ...wrapAndHeight(
      { fromSeams: 'wrap - board', fromCut: 'wrap - 2 * seam - board' },
      { fromSeams: 'height - board', fromCut: 'height - 2 * seam - board' },
    ),
    {
      id: 'board',
      label: 'Board',
      hint: 'thickness of the book’s board, 1/8 in usual',
      tape: 'board',
      default: 'inch(1/8)',
    },
  ],
  options: [
    seamOf('inch(1/4)', 'mm(6)'),
    {
      id: 'flap',
      label: 'Flap',
      type: 'length',
      default: 'inch(4)',
      metric: 'cm(10)',
      hint: 'how far each flap reaches in',
    },
    flapLayers('doubled'),
    spineOption,
    pinsOption,
  ],
  usualSizes: BOOK_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutWidth', is: 'wrap + 2 * seam + board' },
    { name: 'cutHeight', is: 'height + 2 * seam + board' },
    { name: 'flapHem', is: SINGLE_HEM, inline: true },
    { name: 'flapWidth', is: "flaps == 'single' ? flap + seam + board + flapHem : 2 * flap + 2 * seam + board" },
    { name: 'stiffened', is: "flaps == 'single' ? flapWidth - flapHem : flapWidth / 2" },
    // The front cover is the right half of the outer's right side, half the spine off its middle.
    { name: 'frontCentre', is: 'cutWidth - seam - board / 2 - (wrap - spine) / 4' },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam' },
  pieces: [
    {
      name: 'outer',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['frontCentre', 'cutHeight / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'lining', role: 'lining', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'batting', role: 'batting', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'flap', role: 'flap', qty: 2, across: 'flapWidth', along: 'cutHeight' },
    { name: 'interfacing', role: 'interfacing', qty: 2, across: 'stiffened', along: 'cutHeight' },
  ],
  strips: [],
  notions: [],
  centre: ['frontCentre', 'cutHeight / 2'],
  marks: paddedBookMarks,
  checks: [
    {
      code: 'flap-wide',
      field: 'flap',
      level: 'warn',
      when: 'flap > wrap / 2',
      message: 'Flaps of {flap} would meet inside a wrap of {wrap}; make them less than half.',
    },
  ],
  inspections: [
    measured('width, opened flat', 'cutWidth - 2 * seam', FIRM),
    measured('height', 'cutHeight - 2 * seam', FIRM),
    ...onTheBook,
  ],
  steps: [
    cutStep,
    markStep('the flaps’ folds and both ends of the gap', ['fold', 'hem line', 'end of the gap']),
    {
      do: 'Fuse interfacing to one half of each flap, fold the flaps in half and press.',
      when: "flaps == 'doubled'",
      tools: ['iron'],
      caution: CAUTION.iron,
    },
    hemStep('Fuse interfacing to each flap up to its hem, turn the hem and stitch it.', [ONE_TURN, ONE_TURN], {
      when: "flaps == 'single'",
    }),
    {
      do: 'Fuse the batting to the outer; where it is not fusible, baste it round the edge.',
      stitch: 'basting',
      tools: ['iron', 'contrasting thread for basting'],
      caution: CAUTION.iron,
    },
    {
      do: 'Lay the flaps on the right side of the outer, folds inwards, raw edges at the edge; the lining face down over all.',
      before: {
        ask: 'Do the flaps’ folds point inwards, and is the print upright?',
        helps: 'Turn the flap round now; inside the cover it can’t be turned.',
      },
      tools: ['pins', 'clips'],
    },
    seamStep('Sew all round but for the gap, {metric ? cm(6) : inch(5/2)} in the middle of the lower edge.', {
      marks: ['end of the gap'],
    }),
    {
      do: 'Trim the corners, and the allowance to {metric ? mm(3) : inch(1/8)}, but not at the gap.',
      tip: 'The gap needs its whole allowance to be turned in.',
      tools: ['shears'],
      caution: CAUTION.cutter,
    },
    {
      do: 'Turn through the gap with a blunt point, turn the gap’s edges in and press.',
      tip: 'A blunt point, never scissors.',
      tools: ['point turner', 'iron'],
      caution: CAUTION.iron,
    },
    edgeStitch('Edge-stitch all round, which closes the gap.'),
    { do: 'Try it on the closed book: it goes over without pulling the boards.' },
  ],
};

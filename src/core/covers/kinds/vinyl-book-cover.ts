import type { CoverKind } from '../kind';
import { vinylBookMarks } from './marks';
import { either, seamOf } from './shared';
import { CAUTION, markStep } from './steps';
import { FIRM, measured } from './looks';
import { BOOK_SIZES } from './usual-sizes';
import { onTheBook, wrapAndHeight } from './book-parts';

/** Kind N: one layer of vinyl, stitched or glued by hand. Common practice, no source; the flap's default is ours. */
export const vinylBookCover: CoverKind = {
  id: 'vinyl-book-cover',
  letter: 'N',
  name: 'Book cover, one layer of vinyl',
  version: 4,
  about: 'One layer with turned-in flaps; edges stitched by hand or glued. Square the hide or offcut first.',
  drawing: 'book',
  object: 'book',
  fill: 'firm',
  measures: wrapAndHeight(
    { fromSeams: 'wrap', fromCut: 'wrap - 2 * flap' },
    { fromSeams: 'height - allowance', fromCut: 'height - allowance' },
  ),
  options: [
    {
      id: 'flap',
      label: 'Flap',
      type: 'length',
      default: 'inch(3)',
      metric: 'mm(75)',
      hint: 'each; up to 7 in, 18 cm',
    },
    { id: 'margin', label: 'Margin', type: 'length', default: 'mm(5)', hint: 'beyond the book at top and bottom' },
    seamOf('mm(4)', 'mm(4)'),
    {
      id: 'edge',
      label: 'Edges',
      type: 'choice',
      choices: [
        { id: 'stitched', label: 'stitched by hand' },
        { id: 'glued', label: 'glued' },
      ],
      default: 'stitched',
    },
  ],
  usualSizes: BOOK_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * margin' },
  results: [
    { name: 'cutWidth', is: 'wrap + 2 * flap' },
    { name: 'cutHeight', is: 'height + allowance' },
  ],
  finished: { width: 'wrap', height: 'cutHeight' },
  pieces: [{ name: 'cover', role: 'face', qty: 1, across: 'cutWidth', along: 'cutHeight' }],
  strips: [],
  notions: [
    {
      name: 'thread',
      qty: '1',
      when: "edge == 'stitched'",
      length: '4 * cutHeight + 4 * flap',
      note: 'waxed, for stitching {seam} in',
    },
  ],
  marks: vinylBookMarks,
  checks: [
    {
      code: 'flap-wide',
      field: 'flap',
      level: 'warn',
      when: `flap > ${either('inch(7)', 'cm(18)')}`,
      message: 'A flap of {flap} is more than the {metric ? cm(18) : inch(7)} that are usual at most, and slow to fit.',
    },
  ],
  inspections: [measured('width, flaps folded in', 'wrap', FIRM), measured('height', 'cutHeight', FIRM), ...onTheBook],
  steps: [
    {
      do: 'Square the hide or offcut, then cut the cover; put a label on it.',
      tools: ['rotary cutter and ruler', 'tape measure'],
      caution: CAUTION.cutter,
    },
    markStep('the fold of each flap', ['flap fold']),
    {
      do: 'Fold the flaps round the book itself, mark where they end and tape them down.',
      marks: ['flap fold'],
      tip: 'Deep flaps are slow to fit: take the book out and in again before anything is fixed.',
      tools: ['clips', 'basting tape, 1/4 in'],
      before: {
        ask: 'Does the book open and close with the flaps taped?',
        helps: 'Let the flaps out a little; holes in vinyl stay.',
      },
    },
    {
      do: 'Stitch the four edges by hand with the curved needle; hide the thread’s ends in the flap.',
      seam: 'seam',
      needle: 'curved',
      when: "edge == 'stitched'",
      tools: ['hand needle', 'clips'],
      caution: CAUTION.needle,
    },
    {
      do: 'Glue the four edges with vinyl or leather glue, clip them and let them dry.',
      seam: 'seam',
      when: "edge == 'glued'",
      tools: ['leather or vinyl glue', 'clips'],
      caution: CAUTION.glue,
    },
    { do: 'Try it on the book: it opens flat.' },
  ],
};

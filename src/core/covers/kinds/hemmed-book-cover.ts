import type { CoverKind } from '../kind';
import { hemmedBookMarks } from './marks';
import { either, seamOf } from './shared';
import { CAUTION, cutStep, hemStep, markStep, pinsOption, seamStep } from './steps';
import { FIRM, measured, seen } from './looks';
import { BOOK_WITH_COVER_SIZES } from './usual-sizes';
import { flapLayers, ONE_TURN, onTheBook, SINGLE_HEM, spineOption, wrapAndHeight } from './book-parts';

const HAS_POCKET = 'pocketWidthGiven && pocketHeightGiven';

/** Length that the pocket is cut larger than it comes out. */
const POCKET = either('inch(1)', 'cm(2)');

/** Kind M: hemmed flaps, an optional pocket. Common practice, no source. */
export const hemmedBookCover: CoverKind = {
  id: 'hemmed-book-cover',
  letter: 'M',
  name: 'Book cover with hemmed flaps',
  version: 3,
  about: 'Outer and lining with two hemmed flaps, and a pocket on the outside if wanted.',
  drawing: 'book',
  object: 'book',
  fill: 'firm',
  measures: [
    ...wrapAndHeight(
      { fromSeams: 'wrap + 2 * seam - allowance', fromCut: 'wrap - allowance' },
      { fromSeams: 'height + 2 * seam - allowance', fromCut: 'height - allowance' },
    ),
    { id: 'cover', label: 'Cover', hint: 'the width of one cover alone', tape: 'cover' },
  ],
  options: [
    seamOf('inch(3/8)', 'cm(1)'),
    flapLayers('single'),
    {
      id: 'hem',
      label: 'Flap hems',
      type: 'hem',
      default: ['inch(1/2)', 'inch(1/2)'],
      metric: ['cm(1)', 'cm(1)'],
      when: "flaps == 'single'",
    },
    { ...spineOption, hint: 'its thickness, to prove the wrap' },
    { id: 'pocketWidth', label: 'Pocket width', type: 'length', hint: 'finished; empty: no pocket' },
    { id: 'pocketHeight', label: 'Pocket height', type: 'length', hint: 'finished; empty: no pocket' },
    pinsOption,
  ],
  usualSizes: BOOK_WITH_COVER_SIZES,
  defaultFit: 'true',
  allowance: { true: either('inch(1)', 'cm(2.5)') },
  results: [
    { name: 'cutWidth', is: 'wrap + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    // A doubled flap reaches in as far as the hemmed one does, twice, with a seam at its raw edges.
    { name: 'shy', is: ONE_TURN, inline: true },
    { name: 'flapHem', is: 'hem', inline: true },
    { name: 'reach', is: `cover - shy - seam - ${SINGLE_HEM}` },
    { name: 'flapWidth', is: "flaps == 'single' ? cover - shy : 2 * (reach + seam)" },
    // The front cover is the right half of the outer's right side; the spine lies between the two.
    { name: 'frontCentre', is: 'cutWidth - allowance / 2 - cover / 2' },
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
    { name: 'flap', role: 'flap', qty: 2, across: 'flapWidth', along: 'cutHeight' },
    {
      name: 'pocket',
      role: 'pocket',
      qty: 2,
      when: HAS_POCKET,
      across: `pocketWidth + ${POCKET}`,
      along: `pocketHeight + ${POCKET}`,
    },
  ],
  strips: [],
  notions: [],
  centre: ['frontCentre', 'cutHeight / 2'],
  marks: hemmedBookMarks,
  checks: [
    {
      code: 'wrap-short',
      field: 'wrap',
      level: 'warn',
      when: 'wrap < 2 * cover + spine',
      message: 'A wrap of {wrap} is less than two covers of {cover} and a spine; one of them is misread.',
    },
    {
      code: 'pocket-half',
      field: 'pocketHeight',
      level: 'warn',
      when: 'pocketWidthGiven != pocketHeightGiven',
      message: 'A pocket needs its width and its height; it is left out.',
    },
    {
      code: 'pocket-large',
      field: 'pocketWidth',
      level: 'warn',
      when: 'pocketWidthGiven && (pocketWidth > cover || pocketHeight > height)',
      message: 'A pocket of {pocketWidth} by {pocketHeight} is larger than the cover of {cover} by {height}.',
    },
  ],
  inspections: [
    measured('width, opened flat', 'cutWidth - 2 * seam', FIRM),
    measured('height', 'cutHeight - 2 * seam', FIRM),
    seen('pocket centred on the front, its three sides straight', undefined, HAS_POCKET),
    ...onTheBook,
  ],
  steps: [
    cutStep,
    markStep('the flaps’ hems and both ends of the gap', ['fold', 'hem line', 'end of the gap']),
    {
      do: 'On the right side, mark the corners of the pocket, centred on the front cover.',
      marks: ['corner of the pocket, right side'],
      when: HAS_POCKET,
      tip: 'The spine is counted off: the front cover is the right half of the outer.',
      tools: ['pins', 'tape measure'],
    },
    hemStep('Hem one long edge of each flap, turned so that the right side shows.', 'hem', {
      when: "flaps == 'single'",
      before: {
        ask: 'Are both hems turned to the side that leaves the right side seen?',
        helps: 'The usual slip is to the other side, and one of each: lay both flaps on the book and look.',
      },
    }),
    {
      do: 'Fold each flap in half along its length and press.',
      when: "flaps == 'doubled'",
      tools: ['iron'],
      caution: CAUTION.iron,
    },
    seamStep(
      'Sew the pocket’s two layers right sides together but for its lower edge; clip, turn through it and press.',
      {
        when: HAS_POCKET,
        seam: `${POCKET} / 2`,
        tools: ['pins', 'shears', 'point turner', 'iron'],
      },
    ),
    seamStep('Sew the pocket on the outside, centred on the front cover, along three sides.', {
      marks: ['corner of the pocket, right side'],
      when: HAS_POCKET,
      seam: either('inch(1/8)', 'mm(3)'),
      tip: 'Before all is put together; back-stitch at both upper ends.',
    }),
    {
      do: 'Lay flaps and lining right side up, the outer face down on them.',
      before: {
        ask: 'Do the flaps’ hems point inwards, and is the print upright?',
        helps: 'Turn the flap round now; inside the cover it can’t be turned.',
      },
      tools: ['pins', 'clips'],
    },
    seamStep('Sew all round but for the gap, {metric ? cm(9) : inch(7/2)} in the middle of the lower edge.', {
      marks: ['end of the gap'],
    }),
    {
      do: 'Pink the allowance all round but for the gap.',
      tip: 'The gap needs its whole allowance to be turned in.',
      tools: ['shears'],
      caution: CAUTION.cutter,
    },
    {
      do: 'Turn through the gap with a blunt point, press, and close the gap by hand or along its edge.',
      tip: 'A blunt point, never scissors.',
      tools: ['point turner', 'iron', 'hand needle'],
      caution: CAUTION.iron,
    },
    { do: 'Try it on the closed book: the flaps hold both boards.' },
  ],
};

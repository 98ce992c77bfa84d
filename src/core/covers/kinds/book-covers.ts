import type { CoverKind, KindInspection, KindOption, Measure } from '../kind';
import { hemmedBookMarks, paddedBookMarks, vinylBookMarks } from './marks';
import {
  CAUTION,
  cutStep,
  edgeStitch,
  either,
  FIRM,
  hemStep,
  markStep,
  measured,
  pinsOption,
  seamOf,
  seamStep,
  seen,
  trimmed,
} from './shared';
import { BOOK_SIZES, BOOK_WITH_COVER_SIZES } from './usual-sizes';

type OldCover = Pick<Measure, 'fromSeams' | 'fromCut'>;

const wrapAndHeight = (wrap: OldCover, height: OldCover): Measure[] => [
  {
    id: 'wrap',
    label: 'Wrap',
    hint: 'front edge, round the spine, to back edge in one go, the book closed',
    tape: 'wrap',
    ...wrap,
  },
  { id: 'height', label: 'Height', hint: 'of the cover, top to bottom', tape: 'tall', ...height },
];

/** What is looked at on a cover that a book goes into; nobody taps its diagonals. */
const onTheBook: KindInspection[] = [
  seen('closes on the book without strain'),
  seen('flaps the same width'),
  seen('edges even'),
  trimmed,
];

const spineOption: KindOption = {
  id: 'spine',
  isRare: true,
  label: 'Spine',
  type: 'length',
  hint: 'its thickness, to find the middle of the front',
};

/** A flap of one layer has its hem where the doubled one has its fold. */
const SINGLE_HEM = either('inch(1)', 'cm(2)');
const ONE_TURN = either('inch(1/2)', 'cm(1)');

const flapLayers = (usual: 'single' | 'doubled'): KindOption => ({
  id: 'flaps',
  label: 'Flaps',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'doubled', label: 'doubled, folded in half' },
    { id: 'single', label: 'single, hemmed' },
  ],
  default: usual,
});

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

const HAS_POCKET = 'pocketWidthGiven && pocketHeightGiven';
/** What the pocket is cut larger than it comes out. */
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

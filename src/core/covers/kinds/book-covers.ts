import type { CoverKind, KindOption, Measure } from '../kind';
import { hemmedBookMarks, paddedBookMarks, vinylBookMarks } from './marks';
import { CAUTION, cutStep, seamOf } from './shared';

const wrapAndHeight: Measure[] = [
  {
    id: 'wrap',
    label: 'Wrap',
    hint: 'front edge, round the spine, to back edge in one go, the book closed',
    tape: 'wrap',
  },
  { id: 'height', label: 'Height', hint: 'of the cover, top to bottom', tape: 'tall' },
];

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
  version: 3,
  about: 'Outer, lining and batting with two folded flaps; turned through a gap, so reversible.',
  drawing: 'book',
  object: 'book',
  fill: 'firm',
  measures: [
    ...wrapAndHeight,
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
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutWidth', is: 'asCut ? wrap : wrap + 2 * seam + board' },
    { name: 'cutHeight', is: 'asCut ? height : height + 2 * seam + board' },
    // A single flap has one hem of 1/2 + 1/2 where the doubled one has its fold.
    { name: 'flapWidth', is: "flaps == 'single' ? flap + seam + board + inch(1) : 2 * flap + 2 * seam + board" },
    { name: 'stiffened', is: "flaps == 'single' ? flapWidth - inch(1) : flapWidth / 2" },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam' },
  pieces: [
    {
      name: 'outer',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'cutHeight / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'lining', role: 'lining', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'batting', role: 'batting', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'flap', role: 'flap', qty: 2, across: 'flapWidth', along: 'cutHeight' },
    { name: 'interfacing', role: 'interfacing', qty: 2, across: 'stiffened', along: 'cutHeight' },
  ],
  strips: [],
  notions: [],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
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
  steps: [
    cutStep,
    {
      do: 'Fuse interfacing to one half of each flap, fold the flaps in half and press.',
      when: "flaps == 'doubled'",
      caution: CAUTION.iron,
    },
    {
      do: 'Fuse interfacing to each flap up to its hem, turn the hem 1/2 + 1/2 and top-stitch.',
      stitch: 'seam',
      when: "flaps == 'single'",
      caution: CAUTION.iron,
    },
    {
      do: 'Baste the batting to the outer; lay the flaps on it, raw edges out, then the lining face down.',
      stitch: 'basting',
    },
    {
      do: 'Sew all round at the seam allowance, leaving a gap of 2 to 3 in.',
      marks: ['end of the gap'],
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Clip the corners, turn through the gap with a blunt point, press and close the gap.' },
    { do: 'Check: it goes over the closed book without pulling the boards.' },
  ],
};

/** Kind M: hemmed flaps, an optional pocket. Common practice, no source. */
export const hemmedBookCover: CoverKind = {
  id: 'hemmed-book-cover',
  letter: 'M',
  name: 'Book cover with hemmed flaps',
  version: 2,
  about: 'Outer and lining with two hemmed flaps, and a pocket if wanted; sewn at 3/8 in.',
  drawing: 'book',
  object: 'book',
  fill: 'firm',
  measures: [...wrapAndHeight, { id: 'cover', label: 'Cover', hint: 'the width of one cover alone', tape: 'cover' }],
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
    { id: 'spine', isRare: true, label: 'Spine', type: 'length', hint: 'its thickness, to prove the wrap' },
    { id: 'pocketWidth', label: 'Pocket width', type: 'length', hint: 'finished; empty: no pocket' },
    { id: 'pocketHeight', label: 'Pocket height', type: 'length', hint: 'finished; empty: no pocket' },
  ],
  defaultFit: 'true',
  allowance: { true: 'inch(1)' },
  results: [
    { name: 'cutWidth', is: 'wrap + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    // A doubled flap reaches in as far as the hemmed one does, twice, with a seam at its raw edges.
    { name: 'reach', is: 'cover - inch(1/2) - seam - inch(1)' },
    { name: 'flapWidth', is: "flaps == 'single' ? cover - inch(1/2) : 2 * (reach + seam)" },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam' },
  pieces: [
    {
      name: 'outer',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'cutHeight / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'lining', role: 'lining', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'flap', role: 'flap', qty: 2, across: 'flapWidth', along: 'cutHeight' },
    {
      name: 'pocket',
      role: 'pocket',
      qty: 2,
      when: 'pocketWidthGiven && pocketHeightGiven',
      across: 'pocketWidth + inch(1)',
      along: 'pocketHeight + inch(1)',
    },
  ],
  strips: [],
  notions: [],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
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
  steps: [
    cutStep,
    {
      do: 'Hem one long edge of each flap: press the turns, then stitch along the fold.',
      stitch: 'seam',
      when: "flaps == 'single'",
      caution: CAUTION.iron,
    },
    { do: 'Fold each flap in half along its length and press.', when: "flaps == 'doubled'", caution: CAUTION.iron },
    {
      do: 'Sew the pocket’s layers together, turn, and stitch it to the lining.',
      stitch: 'seam',
      when: 'pocketWidthGiven && pocketHeightGiven',
    },
    {
      do: 'Lay the flaps on the outer, the lining face down over them, and sew all round at 3/8 in, leaving a gap.',
      marks: ['end of the gap'],
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Clip the corners, turn with a blunt point, press and close the gap.' },
    { do: 'Check: it goes over the closed book, the flaps hold both boards.' },
  ],
};

/** Kind N: one layer of vinyl, stitched or glued by hand. Common practice, no source; the flap's default is ours. */
export const vinylBookCover: CoverKind = {
  id: 'vinyl-book-cover',
  letter: 'N',
  name: 'Book cover, one layer of vinyl',
  version: 3,
  about: 'One layer with turned-in flaps; edges stitched by hand or glued. Square the hide or offcut first.',
  drawing: 'book',
  object: 'book',
  fill: 'firm',
  measures: wrapAndHeight,
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
  ],
  defaultFit: 'true',
  allowance: { true: '2 * margin' },
  results: [
    { name: 'cutWidth', is: 'asCut ? wrap : wrap + 2 * flap' },
    { name: 'cutHeight', is: 'height + allowance' },
  ],
  finished: { width: 'asCut ? wrap - 2 * flap : wrap', height: 'cutHeight' },
  pieces: [{ name: 'cover', role: 'face', qty: 1, across: 'cutWidth', along: 'cutHeight' }],
  strips: [],
  notions: [
    {
      name: 'thread',
      qty: '1',
      length: '4 * cutHeight + 4 * flap',
      note: 'waxed, for stitching 3 to 4 mm in; or adhesive',
    },
  ],
  marks: vinylBookMarks,
  checks: [
    {
      code: 'flap-wide',
      field: 'flap',
      level: 'warn',
      when: 'flap > inch(7)',
      message: 'A flap of {flap} is more than the 7 in that are usual at most.',
    },
  ],
  steps: [
    { do: 'Square the hide or offcut, then cut the cover.', caution: CAUTION.cutter },
    { do: 'Fold the flaps in round the book’s boards and clip them.', marks: ['flap fold'] },
    { do: 'Stitch the edges by hand 3 to 4 mm in, or glue them.', caution: CAUTION.adhesive },
    { do: 'Check: the book opens flat.' },
  ],
};

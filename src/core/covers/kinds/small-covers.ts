import type { CoverKind } from '../kind';
import { sleeveMarks, strapPadMarks } from './marks';
import {
  CAUTION,
  cutStep,
  edgeStitch,
  either,
  fillStep,
  FIRM,
  hemStep,
  markStep,
  measured,
  overlapCloses,
  padMeasures,
  padNotion,
  pinsOption,
  seamOf,
  seamStep,
  seen,
  softSizes,
  threads,
  trimmed,
  turnStep,
  YES_NO,
} from './shared';
import { DEVICE_SIZES, FOUND_SIZES, STRAP_SIZES } from './usual-sizes';

/** How neoprene is sewn. */
const NEOPRENE = {
  foot: 'walking foot',
  needle: 'denim',
  tension: 'more',
} as const;

/** Neoprene keeps every hole. */
const TRIED = {
  ask: 'Was the setting tried on a scrap, and did it lie flat?',
  helps: 'Tighten the thread a little more and sew another scrap; neoprene shows every hole.',
};

/** What a sleeve is longer than its device. */
const HEAD = either('inch(1/2)', 'mm(12)');

/** Kind O: a neoprene sleeve for a tablet or the like. Common practice, no source. */
export const deviceSleeve: CoverKind = {
  id: 'device-sleeve',
  letter: 'O',
  name: 'Sleeve for a tablet',
  version: 4,
  about: 'Two sides of neoprene with contrast panels and a thumb notch; loop and button if wanted.',
  drawing: 'sleeve',
  object: 'device',
  fill: 'firm',
  measures: [
    {
      id: 'width',
      label: 'Width',
      hint: 'of the device',
      tape: 'across',
      fromSeams: 'width - depth - ease',
      fromCut: 'width - depth - 2 * seam - ease',
    },
    {
      id: 'length',
      label: 'Length',
      hint: 'of the device',
      tape: 'long',
      fromSeams: `length - depth - ${HEAD}`,
      fromCut: `length - depth - seam - ${HEAD}`,
    },
    { id: 'depth', label: 'Depth', hint: 'how thick the device is', tape: 'deep' },
  ],
  options: [
    seamOf('inch(1/4)', 'mm(6)'),
    {
      id: 'ease',
      label: 'Ease',
      type: 'length',
      default: 'inch(3/8)',
      metric: 'mm(10)',
      hint: '3/8 to 1/2 in, 10 to 12 mm',
    },
    { id: 'button', label: 'Loop and button', type: 'choice', choices: YES_NO, default: 'yes' },
  ],
  usualSizes: DEVICE_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutWidth', is: 'width + depth + 2 * seam + ease' },
    { name: 'cutLength', is: `length + depth + seam + ${HEAD}` },
    { name: 'panelIn', is: either('inch(1/2)', 'mm(12)'), inline: true },
    { name: 'panelDown', is: either('inch(1/4)', 'mm(6)'), inline: true },
    { name: 'notch', is: either('inch(1)', 'mm(25)'), inline: true },
    { name: 'panelWidth', is: 'cutWidth - 2 * panelIn' },
    { name: 'frontPanel', is: `cutLength - ${either('inch(7/4)', 'mm(43)')}` },
    { name: 'backPanel', is: `cutLength - ${either('inch(3/4)', 'mm(18)')}` },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutLength - seam' },
  pieces: [
    {
      name: 'front side',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutLength',
      // The thumb notch, half round, 2 in wide and 1 in deep, in the middle of the upper edge.
      outline: [
        ['inch(0)', 'inch(0)'],
        ['cutWidth', 'inch(0)'],
        ['cutWidth', 'cutLength'],
        ['cutWidth / 2 + notch', 'cutLength'],
        { centre: ['cutWidth / 2', 'cutLength'], radius: 'notch', from: 0, to: -180 },
        ['cutWidth / 2 - notch', 'cutLength'],
        ['inch(0)', 'cutLength'],
      ],
    },
    { name: 'back side', role: 'face', qty: 1, across: 'cutWidth', along: 'cutLength' },
    { name: 'front panel', role: 'contrast', qty: 1, across: 'panelWidth', along: 'frontPanel' },
    { name: 'back panel', role: 'contrast', qty: 1, across: 'panelWidth', along: 'backPanel' },
  ],
  strips: [],
  notions: [
    {
      name: 'cord loop',
      qty: '1',
      when: "button == 'yes'",
      length: either('inch(5)', 'cm(12.5)'),
      note: 'its ends under the back panel',
    },
    { name: 'button', qty: '1', when: "button == 'yes'", note: '{metric ? mm(15) : inch(5/8)} below the thumb notch' },
  ],
  marks: sleeveMarks,
  checks: [
    {
      code: 'ease-range',
      field: 'ease',
      level: 'warn',
      when: `ease < ${either('inch(3/8)', 'mm(10)')} || ease > ${either('inch(1/2)', 'mm(12)')}`,
      message:
        'An ease of {ease} is outside the usual {metric ? mm(10) : inch(3/8)} to {metric ? mm(12) : inch(1/2)}; the device will stick or slip.',
    },
    {
      code: 'notch-wide',
      field: 'width',
      level: 'warn',
      when: `panelWidth < ${either('inch(3)', 'cm(7.5)')}`,
      message: 'A panel of {panelWidth} has no room for a thumb notch of {2 * notch}.',
    },
  ],
  inspections: [
    measured('width', 'cutWidth - 2 * seam', FIRM),
    measured('length', 'cutLength - seam', FIRM),
    seen('the device slips in and out', 'Sew the sides again {metric ? mm(3) : inch(1/8)} nearer to the edge.'),
    seen('loop closes over the button', undefined, "button == 'yes'"),
    trimmed,
  ],
  steps: [
    {
      do: 'Cut the parts and the half-round thumb notch; put a label on each.',
      tools: ['rotary cutter and ruler', 'shears', 'tape measure'],
      caution: CAUTION.cutter,
    },
    markStep('loop, button and the panels’ edges', ['loop', 'button', 'panel’s side', 'panel’s upper edge']),
    {
      do: 'Sew a test piece of two scraps: more thread tension until both threads meet inside.',
      stitch: 'neoprene',
      ...NEOPRENE,
      tools: ['clips'],
      caution: CAUTION.needle,
    },
    {
      do: 'Sew the loop on first: both ends side by side at its mark, where the panel will cover them.',
      marks: ['loop'],
      stitch: 'neoprene',
      ...NEOPRENE,
      before: TRIED,
      when: "button == 'yes'",
      tools: ['clips'],
      caution: CAUTION.small,
    },
    {
      do: 'Lay each panel at its marks and zigzag along its very edge.',
      marks: ['panel’s side', 'panel’s upper edge'],
      stitch: 'zigzag',
      ...NEOPRENE,
      before: TRIED,
      tip: 'Clips, no pins: pins leave holes.',
      tools: ['clips'],
      caution: CAUTION.needle,
    },
    {
      do: 'Sew the button on, {metric ? mm(15) : inch(5/8)} below the notch.',
      marks: ['button'],
      when: "button == 'yes'",
      tools: ['hand needle'],
      caution: CAUTION.small,
    },
    {
      do: 'Wrong sides together, sew sides and bottom; nothing is turned.',
      seam: 'seam',
      stitch: 'neoprene',
      ...NEOPRENE,
      tip: 'Back-stitch at both upper ends: the hand pulls there.',
      tools: ['clips'],
      caution: CAUTION.needle,
    },
    { do: 'Try the device: it slides in with its ease and does not fall out.' },
  ],
};

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

/** Kind Q: a cover from a garment or a found cloth, its hems used as finished edges. Common practice, no source. */
export const foundClothCover: CoverKind = {
  id: 'found-cloth-cover',
  letter: 'Q',
  name: 'Cover from a garment or found cloth',
  version: 3,
  about: 'The print is placed first; existing hems become the opening’s finished edges.',
  drawing: 'envelope',
  object: 'pad',
  fill: 'soft',
  measures: [
    ...padMeasures,
    {
      id: 'band',
      label: 'Band',
      hint: 'of the lower hem that makes the under-flap; 6 to 7 in',
      tape: 'edge',
      fromCut: 'band - seam',
    },
  ],
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    {
      id: 'hem',
      label: 'Back hem',
      type: 'hem',
      default: ['inch(1/2)', 'inch(1/2)'],
      metric: ['cm(1)', 'cm(1)'],
      hint: 'of the back’s own edge; the found hem stays as it is',
    },
    { id: 'stretch', label: 'Knit that stretches', type: 'choice', choices: YES_NO, default: 'no' },
    pinsOption,
  ],
  usualSizes: FOUND_SIZES,
  defaultFit: 'true',
  allowance: { true: "stretch == 'yes' ? inch(0) : 2 * seam" },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    // The back's own edge is turned twice; the under-flap has the found hem there. Only the other edge takes a seam.
    { name: 'back', is: "stretch == 'yes' ? height + hem : height + seam + hem" },
    { name: 'underFlap', is: "stretch == 'yes' ? band : band + seam" },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam', overlap: 'band' },
  pieces: [
    { name: 'front', role: 'face', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'back', role: 'back', qty: 1, across: 'cutWidth', along: 'back' },
    { name: 'under-flap', role: 'back', qty: 1, across: 'cutWidth', along: 'underFlap' },
  ],
  strips: [],
  notions: [padNotion()],
  checks: [
    {
      code: 'band-short',
      field: 'band',
      level: 'warn',
      when: `band < ${either('inch(4)', 'cm(10)')}`,
      message:
        'A band of {band} gapes; {metric ? cm(15) : inch(6)} to {metric ? cm(18) : inch(7)} of the lower hem are usual.',
    },
    {
      code: 'band-over-panel',
      field: 'band',
      level: 'warn',
      when: 'band > height',
      message: 'A band of {band} is more than the cover’s height of {height}.',
    },
  ],
  marks: [{ piece: 'back', name: 'hem line', sort: 'fold', along: 'hem' }],
  inspections: [
    ...softSizes('cutWidth - 2 * seam', 'cutHeight - 2 * seam'),
    measured('overlap', 'band', FIRM),
    ...overlapCloses,
    seen('print where it was placed'),
    threads,
  ],
  steps: [
    {
      do: 'Wash what was worn; take sleeves and collar off, and press it flat.',
      tools: ['seam ripper', 'shears', 'iron'],
      caution: CAUTION.iron,
    },
    {
      do: 'Place the print on the front first, with room round it; keep the found lower hem as the under-flap’s finished edge.',
      before: {
        ask: 'Does the print stand in the middle, with its seam allowance round it?',
        helps: 'Lay the form on it before anything is cut.',
      },
      tools: ['marker', 'tape measure'],
    },
    cutStep,
    markStep('the back’s hem', ['hem line']),
    hemStep('Turn the back’s own edge twice and stitch along the fold; the found hem is kept.', 'hem'),
    {
      do: 'Lay the under-flap under the back, hems over each other, and baste the two at the sides.',
      stitch: 'basting',
      foot: 'standard foot',
      needle: 'usual',
      tools: ['pins', 'contrasting thread for basting'],
      caution: CAUTION.needle,
    },
    seamStep('Right sides together, sew front and back round all four sides.', {
      before: {
        ask: 'Does the print run the same way on front and back?',
        helps: 'Turn the back that stands on its head before anything is sewn.',
      },
    }),
    turnStep(),
    fillStep(),
  ],
};

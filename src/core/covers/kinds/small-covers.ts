import type { CoverKind } from '../kind';
import { sleeveMarks, strapPadMarks } from './marks';
import { CAUTION, cutStep, padMeasures, seamOf, YES_NO } from './shared';

/** Kind O: a neoprene sleeve for a tablet or the like. Common practice, no source. */
export const deviceSleeve: CoverKind = {
  id: 'device-sleeve',
  letter: 'O',
  name: 'Sleeve for a tablet',
  version: 3,
  about: 'Two sides of neoprene with contrast panels and a thumb notch; loop and button if wanted.',
  drawing: 'sleeve',
  object: 'device',
  fill: 'firm',
  measures: [
    { id: 'width', label: 'Width', hint: 'of the device', tape: 'across' },
    { id: 'length', label: 'Length', hint: 'of the device', tape: 'long' },
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
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutWidth', is: 'asCut ? width : width + depth + 2 * seam + ease' },
    { name: 'cutLength', is: 'asCut ? length : length + depth + seam + inch(1/2)' },
    { name: 'panelWidth', is: 'cutWidth - inch(1)' },
    { name: 'frontPanel', is: 'cutLength - inch(7/4)' },
    { name: 'backPanel', is: 'cutLength - inch(3/4)' },
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
        ['cutWidth / 2 + inch(1)', 'cutLength'],
        { centre: ['cutWidth / 2', 'cutLength'], radius: 'inch(1)', from: 0, to: -180 },
        ['cutWidth / 2 - inch(1)', 'cutLength'],
        ['inch(0)', 'cutLength'],
      ],
    },
    { name: 'back side', role: 'face', qty: 1, across: 'cutWidth', along: 'cutLength' },
    { name: 'front panel', role: 'contrast', qty: 1, across: 'panelWidth', along: 'frontPanel' },
    { name: 'back panel', role: 'contrast', qty: 1, across: 'panelWidth', along: 'backPanel' },
  ],
  strips: [],
  notions: [
    { name: 'cord loop', qty: '1', when: "button == 'yes'", length: 'inch(5)', note: 'caught in the back’s edge' },
    { name: 'button', qty: '1', when: "button == 'yes'", note: '5/8 in below the thumb notch' },
  ],
  marks: sleeveMarks,
  checks: [
    {
      code: 'ease-range',
      field: 'ease',
      level: 'warn',
      when: 'ease < inch(3/8) || ease > inch(1/2)',
      message: 'An ease of {ease} is outside the usual 3/8 to 1/2 in; the device will stick or slip.',
    },
    {
      code: 'notch-wide',
      field: 'width',
      level: 'warn',
      when: 'panelWidth < inch(3)',
      message: 'A panel of {panelWidth} has no room for a thumb notch of 2 in.',
    },
  ],
  steps: [
    {
      do: 'Sew a test piece: neoprene wants more thread tension and a longer stitch.',
      stitch: 'upholstery',
      caution: CAUTION.needle,
    },
    { do: 'Cut the parts and the half-round thumb notch.', caution: CAUTION.cutter },
    {
      do: 'Stitch the contrast panels on; catch the cord loop in the back’s edge.',
      marks: ['panel’s side', 'loop'],
      stitch: 'upholstery',
      when: "button == 'yes'",
      caution: CAUTION.small,
    },
    { do: 'Stitch the contrast panels on.', stitch: 'upholstery', when: "button == 'no'" },
    {
      do: 'Sew sides and bottom; sew the button on below the notch.',
      marks: ['button'],
      stitch: 'upholstery',
      when: "button == 'yes'",
      caution: CAUTION.small,
    },
    { do: 'Sew sides and bottom.', stitch: 'upholstery', when: "button == 'no'" },
    { do: 'Check: the device slides in with its ease and does not fall out.' },
  ],
};

/** Kind P: a pad round a strap. Common practice, no source. */
export const strapPad: CoverKind = {
  id: 'strap-pad',
  letter: 'P',
  name: 'Strap pad',
  version: 2,
  about: 'Two squares with fleece between, closed round a strap with snaps or tape.',
  drawing: 'flat',
  object: 'strap',
  fill: 'firm',
  measures: [
    { id: 'length', label: 'Length', hint: 'finished, along the strap', tape: 'long' },
    { id: 'width', label: 'Width', hint: 'finished, round the strap when open', tape: 'across' },
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
  ],
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
      note: 'at {spread(snaps, length)} of the length, 1.5 cm in',
    },
    {
      name: 'hook-and-loop',
      qty: '1',
      when: "closure == 'tape'",
      length: 'length - cm(1)',
      note: '16 to 18 cm on an 18 cm pad',
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
      message: 'A width of {width} does not reach round a strap and close; 18 cm is usual.',
    },
  ],
  steps: [
    cutStep,
    { do: 'Fuse a fleece behind the outer and one behind the inner, out of the seams.', caution: CAUTION.iron },
    {
      do: 'Right sides together, sew round at the seam allowance leaving a gap; turn, press, close.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Set the snaps, an odd number.', marks: ['snap'], when: "closure == 'snaps'", caution: CAUTION.small },
    { do: 'Sew the hook-and-loop on.', stitch: 'seam', when: "closure == 'tape'" },
    { do: 'Check: it closes flat.', caution: CAUTION.belt },
  ],
};

/** Kind Q: a cover from a garment or a found cloth, its hems used as finished edges. Common practice, no source. */
export const foundClothCover: CoverKind = {
  id: 'found-cloth-cover',
  letter: 'Q',
  name: 'Cover from a garment or found cloth',
  version: 2,
  about: 'The print is placed first; existing hems become the opening’s finished edges.',
  drawing: 'envelope',
  object: 'pad',
  fill: 'soft',
  measures: [
    ...padMeasures,
    { id: 'band', label: 'Band', hint: 'of the lower hem that makes the under-flap; 6 to 7 in', tape: 'edge' },
  ],
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    { id: 'stretch', label: 'Knit that stretches', type: 'choice', choices: YES_NO, default: 'no' },
  ],
  defaultFit: 'true',
  allowance: { true: "stretch == 'yes' ? inch(0) : 2 * seam" },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    // One edge of the back and of the under-flap is the found hem: only the other takes a seam.
    { name: 'back', is: "asCut || stretch == 'yes' ? height : height + seam" },
    { name: 'underFlap', is: "asCut || stretch == 'yes' ? band : band + seam" },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam', overlap: 'band' },
  pieces: [
    { name: 'front', role: 'face', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'back', role: 'back', qty: 1, across: 'cutWidth', along: 'back' },
    { name: 'under-flap', role: 'back', qty: 1, across: 'cutWidth', along: 'underFlap' },
  ],
  strips: [],
  notions: [],
  checks: [
    {
      code: 'band-short',
      field: 'band',
      level: 'warn',
      when: 'band < inch(4)',
      message: 'A band of {band} gapes; 6 to 7 in of the lower hem hold an 18 x 24 pillow.',
    },
    {
      code: 'band-over-panel',
      field: 'band',
      level: 'warn',
      when: 'band > height',
      message: 'A band of {band} is more than the cover’s height of {height}.',
    },
  ],
  steps: [
    { do: 'Place the print on the front first; keep the found hems as the edges of back and under-flap.' },
    cutStep,
    {
      do: 'Lay front, under-flap and back together, hems at the opening, and sew three sides.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Turn with a blunt point and press.', caution: CAUTION.iron },
    { do: 'Check: the print sits where it was placed, the flap holds.' },
  ],
};

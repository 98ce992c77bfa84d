import type { CoverKind } from '../kind';
import { sleeveMarks } from './marks';
import { either, seamOf, YES_NO } from './shared';
import { CAUTION, markStep } from './steps';
import { FIRM, measured, seen, trimmed } from './looks';
import { DEVICE_SIZES } from './usual-sizes';

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

/** Length that a sleeve has over its device. */
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

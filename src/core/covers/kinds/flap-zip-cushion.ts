import type { CoverKind } from '../kind';
import { flapZipMarks } from './marks';
import { edgesOption, either, ownZip, padMeasures, padNotion, seamOf, zipShort } from './shared';
import {
  CAUTION,
  cutStep,
  edgesSteps,
  fillStep,
  markStep,
  OPEN_ZIP,
  pinsOption,
  seamStep,
  trimZipStep,
  turnStep,
  zipHoldOption,
  zipStep,
} from './steps';
import { seen, softSizes, threads, zipRuns } from './looks';
import { PAD_SIZES } from './usual-sizes';

const FLAP_STRIP = either('inch(4)', 'cm(10)');

/** A bound edge keeps its whole cut size. */
const FINISHED = (cut: string) => `edge == 'bound' ? ${cut} : ${cut} - 2 * seam`;

/** Kind D: a zip across the back under a flap. Common practice, no source; the binding's width is from memory. */
export const flapZipCushion: CoverKind = {
  id: 'flap-zip-cushion',
  letter: 'D',
  name: 'Cushion with a zip across the back under a flap',
  version: 3,
  about: 'The back is cut in two, with a zip under a flap; both sides are trimmed to the front.',
  drawing: 'flap',
  object: 'pad',
  fill: 'soft',
  measures: padMeasures.map((measure) => ({
    ...measure,
    fromSeams: `edge == 'bound' ? ${measure.id} - allowance : ${measure.fromSeams}`,
  })),
  options: [
    seamOf('inch(1/2)', 'cm(1)'),
    {
      id: 'flap',
      label: 'Flap',
      type: 'choice',
      choices: [
        { id: 'strip', label: 'a separate strip' },
        { id: 'fold', label: 'a fold of the back' },
      ],
      default: 'strip',
    },
    {
      id: 'edge',
      label: 'Edge',
      type: 'choice',
      choices: [
        { id: 'seamed', label: 'seamed' },
        { id: 'bound', label: 'basted and bound' },
      ],
      default: 'seamed',
    },
    ownZip,
    zipHoldOption(),
    { ...edgesOption, when: "edge == 'seamed'" },
    pinsOption,
  ],
  usualSizes: PAD_SIZES,
  defaultFit: 'snug',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: `-${either('inch(1)', 'cm(2.5)')}` },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    {
      name: 'backHeight',
      is: `flap == 'strip' ? cutHeight + ${either('inch(3/2)', 'cm(4)')} : cutHeight + ${either('inch(9/2)', 'cm(12)')}`,
    },
    // One cloth is cut at half the front’s height, so that the upper part has the fold to spare; two parts are cut alike.
    { name: 'cutAt', is: "flap == 'strip' ? backHeight / 2 : cutHeight / 2" },
    { name: 'round', is: '2 * (cutWidth + cutHeight)' },
    { name: 'zip', is: 'zipLengthGiven ? zipLength : stockUp(cutWidth + (metric ? cm(1) : inch(1/2)))' },
  ],
  finished: {
    width: FINISHED('cutWidth'),
    height: FINISHED('cutHeight'),
  },
  pieces: [
    {
      name: 'front',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'cutHeight / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'back', role: 'back', qty: 1, across: 'cutWidth', along: 'backHeight' },
    { name: 'flap', role: 'back', qty: 1, when: "flap == 'strip'", across: 'cutWidth', along: FLAP_STRIP },
  ],
  strips: [
    {
      name: 'binding',
      role: 'welt',
      qty: '1',
      when: "edge == 'bound'",
      width: either('inch(2)', 'cm(5)'),
      length: `round + ${either('inch(6)', 'cm(15)')}`,
      grain: "'bias'",
      loss: either('inch(2)', 'cm(5)'),
      least: `min(${either('inch(12)', 'cm(30)')}, round + ${either('inch(6)', 'cm(15)')})`,
    },
  ],
  notions: [padNotion(), { name: 'zip', qty: '1', length: 'zip', note: 'coil, longer than the cover and trimmed' }],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  marks: flapZipMarks,
  checks: [zipShort('cutWidth')],
  inspections: [
    ...softSizes(FINISHED('cutWidth'), FINISHED('cutHeight')),
    seen('flap covers the zip without gaping on the filled form'),
    ...zipRuns(),
    seen('print upright on both faces'),
    threads,
  ],
  steps: [
    cutStep,
    markStep('where the back is cut in two', ['cut here']),
    {
      do: 'Cut the back in two at the mark.',
      marks: ['cut here'],
      tools: ['rotary cutter and ruler'],
      caution: CAUTION.cutter,
    },
    {
      do: 'Fold the flap strip in half lengthwise and press.',
      when: "flap == 'strip'",
      tools: ['iron'],
      caution: CAUTION.iron,
    },
    zipStep('Sew the zip to both parts of the back, right sides together.', { when: "flap == 'fold'" }),
    {
      do: 'Press a fold of {metric ? cm(5) : inch(2)} of the upper part down over the zip and pin it.',
      marks: ['flap fold'],
      when: "flap == 'fold'",
      tools: ['iron', 'pins'],
      caution: CAUTION.iron,
    },
    seamStep('From the wrong side, sew along the zip through the fold.', {
      when: "flap == 'fold'",
      seam: either('inch(1/4)', 'mm(6)'),
      foot: 'zip foot',
    }),
    zipStep('Sew the zip between the two backs, the folded strip over it, its raw edges in the upper seam.', {
      when: "flap == 'strip'",
    }),
    trimZipStep('zip > cutWidth'),
    {
      do: 'Lay the back on the front and trim it to the front all round.',
      tools: ['rotary cutter and ruler'],
      caution: CAUTION.cutter,
    },
    seamStep('Right sides together, sew round all four sides.', { when: "edge == 'seamed'", before: OPEN_ZIP }),
    seamStep('Wrong sides together, baste round all four sides; bind the edge. It is not turned.', {
      when: "edge == 'bound'",
      seam: either('inch(1/8)', 'mm(3)'),
      stitch: 'basting',
      before: OPEN_ZIP,
    }),
    ...edgesSteps.map((step) => ({ ...step, when: `edge == 'seamed' && ${step.when}` })),
    { ...turnStep(), when: "edge == 'seamed'" },
    fillStep(),
  ],
};

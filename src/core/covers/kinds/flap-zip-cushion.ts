import type { CoverKind } from '../kind';
import { flapZipMarks } from './marks';
import { CAUTION, cutStep, edgesOption, edgesSteps, ownZip, padMeasures, seamOf, zipShort } from './shared';

/** Kind D: a zip across the back under a flap. Common practice, no source; the binding's width is from memory. */
export const flapZipCushion: CoverKind = {
  id: 'flap-zip-cushion',
  letter: 'D',
  name: 'Cushion with a zip across the back under a flap',
  version: 2,
  about: 'The back is cut in two, with a zip under a flap; both sides are trimmed to the front.',
  drawing: 'flap',
  object: 'pad',
  fill: 'soft',
  measures: padMeasures,
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
    { ...edgesOption, when: "edge == 'seamed'" },
  ],
  defaultFit: 'snug',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: '-inch(1)' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    { name: 'backHeight', is: "flap == 'strip' ? cutHeight + inch(3/2) : cutHeight + inch(9/2)" },
    { name: 'round', is: '2 * (cutWidth + cutHeight)' },
    { name: 'zip', is: 'zipLengthGiven ? zipLength : stockUp(cutWidth + inch(1/2))' },
  ],
  finished: {
    width: "edge == 'bound' ? cutWidth : cutWidth - 2 * seam",
    height: "edge == 'bound' ? cutHeight : cutHeight - 2 * seam",
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
    { name: 'flap', role: 'back', qty: 1, when: "flap == 'strip'", across: 'cutWidth', along: 'inch(4)' },
  ],
  strips: [
    {
      name: 'binding',
      role: 'welt',
      qty: '1',
      when: "edge == 'bound'",
      width: 'inch(2)',
      length: 'round + inch(6)',
      grain: "'bias'",
      loss: 'inch(2)',
      least: 'min(inch(12), round + inch(6))',
    },
  ],
  notions: [{ name: 'zip', qty: '1', length: 'zip', note: 'coil, longer than the cover and trimmed' }],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  marks: flapZipMarks,
  checks: [zipShort('cutWidth')],
  steps: [
    cutStep,
    { do: 'Cut the back in two at half its height.', marks: ['cut here'] },
    { do: 'Fold the flap strip in half lengthwise and press.', when: "flap == 'strip'", caution: CAUTION.iron },
    { do: 'Fold 2 in of the upper back over for the flap and press.', when: "flap == 'fold'", caution: CAUTION.iron },
    {
      do: 'Sew the zip between the two backs, the flap over it.',
      stitch: 'seam',
      foot: 'zip foot',
      caution: CAUTION.needle,
    },
    { do: 'Trim the back to the front. Open the zip half way before the last seam.' },
    { do: 'Sew round all four sides at the seam allowance.', stitch: 'seam', when: "edge == 'seamed'" },
    { do: 'Baste round at 1/8 in and bind the edge.', stitch: 'basting', when: "edge == 'bound'" },
    ...edgesSteps,
    { do: 'Turn with a blunt point, press and fill.', caution: CAUTION.iron },
    { do: 'Check: the zip runs under its flap.' },
  ],
};

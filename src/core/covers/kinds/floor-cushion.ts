import type { CoverKind } from '../kind';
import { CAUTION, cutStep, padMeasures, seamOf } from './shared';

/** Handbook kind F: two cloths, an inner ticking behind each. Common practice, no source. */
export const floorCushion: CoverKind = {
  id: 'floor-cushion',
  letter: 'F',
  name: 'Floor cushion',
  version: 1,
  about: 'Two faces of different cloth with ticking mounted behind, cut under the form so that it stays plump.',
  drawing: 'flat',
  measures: padMeasures,
  options: [
    seamOf('inch(1/2)'),
    {
      id: 'ticking',
      label: 'Inner ticking',
      type: 'choice',
      choices: [
        { id: 'yes', label: 'yes' },
        { id: 'no', label: 'no' },
      ],
      default: 'yes',
    },
  ],
  defaultFit: 'overfull',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: '-inch(1)' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    { name: 'zip', is: 'stockDown(cutWidth - inch(4))' },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam' },
  pieces: [
    {
      name: 'top face',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'cutHeight / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'under face', role: 'back', qty: 1, across: 'cutWidth', along: 'cutHeight' },
    { name: 'ticking', role: 'ticking', qty: 2, when: "ticking == 'yes'", across: 'cutWidth', along: 'cutHeight' },
  ],
  strips: [],
  notions: [{ name: 'zip', qty: '1', when: 'zip > inch(0)', length: 'zip', note: 'about 4 in under the edge' }],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  checks: [
    {
      code: 'zip-none',
      field: 'width',
      level: 'warn',
      when: 'zip == inch(0)',
      message: 'No stock zip is 4 in shorter than an edge of {cutWidth}.',
    },
  ],
  steps: [
    cutStep,
    { do: 'Mount each face on its ticking: baste round at 1/4 in with the longest stitch.', when: "ticking == 'yes'" },
    { do: 'Sew the zip into the bottom seam with the zip foot; open it half way.', caution: CAUTION.needle },
    { do: 'Right sides together, sew the three other sides; sew again over the corners.' },
    { do: 'Clip the corners, turn with a blunt point, press and fill.', caution: CAUTION.foam },
    { do: 'Check: size within 1/4 in, corners full, the zip runs.' },
  ],
};

import type { CoverKind } from '../kind';
import { CAUTION, cutStep, padMeasures, seamOf } from './shared';

/** Handbook kind C: two faces, a zip in the bottom seam. Common practice, no source. */
export const zipCushion: CoverKind = {
  id: 'zip-cushion',
  letter: 'C',
  name: 'Cushion with a zip in the bottom seam',
  version: 1,
  about: 'Two faces, usually cut snug, with a zip set into the bottom seam.',
  drawing: 'flat',
  measures: padMeasures,
  options: [
    seamOf('inch(1/2)'),
    {
      id: 'closedEnds',
      label: 'Closed ends',
      type: 'length',
      default: 'inch(2)',
      hint: 'the seam sewn shut at each end of the zip; 2 to 2 1/2 in',
    },
    {
      id: 'zipTeeth',
      label: 'Zip teeth',
      type: 'choice',
      choices: [
        { id: 'coil', label: 'coil' },
        { id: 'moulded', label: 'moulded' },
        { id: 'metal', label: 'metal' },
      ],
      default: 'coil',
    },
  ],
  defaultFit: 'snug',
  allowance: { true: '2 * seam', snug: 'inch(0)', overfull: '-inch(1)' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutHeight', is: 'height + allowance' },
    { name: 'opening', is: 'width - 2 * closedEnds' },
    { name: 'zip', is: 'stockDown(opening)' },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutHeight - 2 * seam' },
  pieces: [
    {
      name: 'front',
      role: 'face',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'back',
      role: 'back',
      qty: 1,
      across: 'cutWidth',
      along: 'cutHeight',
      match: { anchor: ['cutWidth / 2', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
  ],
  strips: [],
  notions: [
    {
      name: 'zip',
      qty: '1',
      when: 'zip > inch(0)',
      length: 'zip',
      note: '{zipTeeth}; marks {(width - zip) / 2} from each end of the seam',
    },
  ],
  centre: ['cutWidth / 2', 'cutHeight / 2'],
  checks: [
    {
      code: 'opening-none',
      field: 'closedEnds',
      level: 'stop',
      when: 'opening <= inch(0)',
      message: 'Two closed ends of {closedEnds} leave no opening in a {width} edge.',
    },
    {
      code: 'zip-none',
      field: 'closedEnds',
      level: 'warn',
      when: 'opening > inch(0) && zip == inch(0)',
      message: 'No stock zip is as short as the opening of {opening}; shorten the closed ends.',
    },
    {
      code: 'zip-metal',
      field: 'zipTeeth',
      level: 'warn',
      when: "zipTeeth == 'metal' && zip > inch(0) && zip < opening",
      message:
        'A metal zip can’t be shortened and must fit exactly: the {zip} zip leaves closed ends of {(width - zip) / 2}.',
    },
    {
      code: 'closed-ends',
      field: 'closedEnds',
      level: 'warn',
      when: 'closedEnds > inch(3) && opening > inch(0)',
      message: 'Closed ends of {closedEnds} make the opening hard to fill; 2 to 2 1/2 in is usual.',
    },
  ],
  steps: [
    cutStep,
    { do: 'Overlock or zigzag the bottom edges if the cloth frays; mark the zip’s ends on the bottom seam.' },
    {
      do: 'Sew the bottom seam from each side to the zip marks, and baste the rest with the longest stitch.',
      caution: CAUTION.needle,
    },
    {
      do: 'Press the seam open, centre the zip under it face down, and sew with the zip foot; take the basting out.',
      caution: CAUTION.iron,
    },
    { do: 'Open the zip half way. Right sides together, sew the three other sides at the seam allowance.' },
    { do: 'Clip the corners, turn with a blunt point, press and fill.' },
    { do: 'Check: size within 1/8 in, the motif or stripe meets within 1/8 in, the zip runs.' },
  ],
};

import type { CoverKind } from '../kind';
import { platformBoxedMarks, tuftChecks, tuftOptions } from './marks';
import { blockMeasures, CAUTION, cutStep, seamOf } from './shared';

/** Kind I: a stapled platform cushion with sewn boxing. Common practice, no source. */
export const platformBoxed: CoverKind = {
  id: 'platform-boxed',
  letter: 'I',
  name: 'Stapled platform cushion with sewn boxing',
  version: 3,
  about: 'A plate and four boxing parts over foam, pulled round the platform and stapled.',
  drawing: 'box',
  object: 'block',
  fill: 'firm',
  measures: blockMeasures,
  options: [
    seamOf('inch(1/4)', 'mm(6)'),
    {
      id: 'grip',
      label: 'Grip',
      type: 'length',
      default: 'inch(3)',
      metric: 'mm(75)',
      hint: 'allowance, wrap and what the hand pulls',
    },
    ...tuftOptions,
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'plateLength', is: 'length + allowance' },
    { name: 'plateWidth', is: 'width + allowance' },
    { name: 'boxingHeight', is: 'asCut ? thickness : thickness + grip' },
  ],
  finished: {
    width: 'plateLength - 2 * seam',
    height: 'plateWidth - 2 * seam',
    thickness: 'asCut ? thickness - grip : thickness',
  },
  pieces: [
    {
      name: 'plate',
      role: 'face',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'plateLength',
      along: 'plateWidth',
      match: { anchor: ['seam', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'long boxing',
      role: 'boxing',
      qty: 2,
      across: 'plateLength',
      along: 'boxingHeight',
      match: { anchor: ['seam', 'boxingHeight - seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'short boxing', role: 'boxing', qty: 2, across: 'plateWidth', along: 'boxingHeight' },
    { name: 'dust cover', role: 'dust cover', qty: 1, across: 'length', along: 'width' },
  ],
  strips: [],
  notions: [
    { name: 'foam', qty: '1', note: '{length} x {width} x {thickness}' },
    { name: 'staples', qty: 'whole(2 * (length + width) / inch(1))', note: 'about one an inch round the edge' },
  ],
  centre: ['plateLength / 2', 'plateWidth / 2'],
  marks: platformBoxedMarks,
  checks: [
    ...tuftChecks('(plateLength - 2 * seam)', '(plateWidth - 2 * seam)'),
    {
      code: 'grip-short',
      field: 'grip',
      level: 'warn',
      when: 'grip < inch(2)',
      message: 'A grip of {grip} leaves nothing to pull; 3 in is usual, 2 in the least.',
    },
  ],
  steps: [
    cutStep,
    {
      do: 'Sew the boxing to the plate, then the corners; cloth pulls for tufts come from scraps.',
      marks: ['tuft'],
      stitch: 'upholstery',
      caution: CAUTION.needle,
    },
    { do: 'Glue the foam to the platform and let it flash off.', caution: CAUTION.adhesive },
    {
      do: 'Pull the cover over, staple the middle of each side first, then towards the corners.',
      caution: CAUTION.staples,
    },
    { do: 'Staple the dust cover under it.', caution: CAUTION.staples },
    { do: 'Check: seams run along the edges, tufts equally deep, no pull at the corners.', caution: CAUTION.foam },
  ],
};

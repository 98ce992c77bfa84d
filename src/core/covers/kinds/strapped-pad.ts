import type { CoverKind } from '../kind';
import { strappedMarks } from './marks';
import { CAUTION, cutStep, seamOf } from './shared';

/** Kind H: a boxed chair pad closed with hook-and-loop, with straps. Common practice, no source. */
export const strappedPad: CoverKind = {
  id: 'strapped-pad',
  letter: 'H',
  name: 'Boxed chair pad with straps',
  version: 3,
  about: 'Top and bottom with boxing, closed at the back with hook-and-loop, held by straps.',
  drawing: 'box',
  object: 'block',
  fill: 'firm',
  measures: [
    { id: 'width', label: 'Width', hint: 'across the pad at its widest', tape: 'front' },
    { id: 'depth', label: 'Depth', hint: 'from the front edge to the back edge', tape: 'deep' },
    { id: 'thickness', label: 'Thickness', hint: 'the foam’s thickness', tape: 'high' },
  ],
  outline: { measure: 'outline', across: 'width', along: 'depth', allowance: 'seam' },
  options: [
    seamOf('inch(1)', 'mm(25)'),
    { id: 'straps', label: 'Straps', type: 'count', default: 2 },
    {
      id: 'strapLength',
      label: 'Strap length',
      type: 'length',
      default: 'inch(12)',
      metric: 'cm(30)',
      hint: 'by the chair',
    },
    {
      id: 'return',
      label: 'Return',
      type: 'length',
      default: 'inch(2)',
      metric: 'cm(5)',
      hint: 'how far the boxing turns round each back corner',
    },
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutDepth', is: 'depth + allowance' },
    { name: 'boxingHeight', is: 'asCut ? thickness : thickness + 2 * seam' },
    { name: 'strip', is: 'traced ? perimeter - width + 2 * return : width + 2 * depth + 2 * return' },
    { name: 'closureHalf', is: 'boxingHeight / 2' },
  ],
  finished: { width: 'cutWidth - 2 * seam', height: 'cutDepth - 2 * seam', thickness: 'boxingHeight - 2 * seam' },
  pieces: [
    {
      name: 'top',
      role: 'face',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'cutWidth',
      along: 'cutDepth',
      isTraced: true,
      match: { anchor: ['cutWidth / 2', 'cutDepth / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'bottom',
      role: 'back',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'cutWidth',
      along: 'cutDepth',
      isTraced: true,
    },
    { name: 'closure, full width', role: 'boxing', qty: 1, across: 'cutWidth', along: 'boxingHeight' },
    { name: 'closure, half width', role: 'boxing', qty: 1, across: 'cutWidth', along: 'closureHalf' },
    { name: 'strap', role: 'strap', qty: 'straps', across: 'strapLength', along: 'thickness' },
  ],
  strips: [
    {
      name: 'boxing',
      role: 'boxing',
      qty: '1',
      width: 'boxingHeight',
      length: 'strip',
      grain: "'straight'",
      loss: '2 * seam',
      least: 'min(inch(12), strip)',
    },
  ],
  notions: [
    { name: 'hook-and-loop', qty: '1', length: 'width', note: 'along the back' },
    { name: 'foam', qty: '1', note: '{width} x {depth} x {thickness}' },
  ],
  centre: ['cutWidth / 2', 'cutDepth / 2'],
  marks: strappedMarks,
  checks: [
    {
      code: 'boxing-low',
      field: 'thickness',
      level: 'warn',
      when: 'closureHalf < inch(3/4)',
      message: 'Half of a boxing of {boxingHeight} is too low for the tape; hook-and-loop is 3/4 in wide.',
    },
  ],
  steps: [
    cutStep,
    { do: 'Mark the centre of every part and snip the corners of the boxing.' },
    {
      do: 'Sew hook-and-loop to the two closure strips; fold and hem the straps.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Sew the boxing round top and bottom, the straps caught in the back seam.', stitch: 'seam' },
    { do: 'Fill through the back.', caution: CAUTION.foam },
    { do: 'Check: centre marks meet, corners full, the tape closes flat.' },
  ],
};

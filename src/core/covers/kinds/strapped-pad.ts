import type { CoverKind } from '../kind';
import { strappedMarks } from './marks';
import { boxingBack, either, foamNotion, foamOption, foamPiece, seamOf, workedBack } from './shared';
import { CAUTION, cutStep, foamFillStep, hemStep, markStep, pinsOption, sawStep, seamStep } from './steps';
import { boxingLooks, measured, plateSizes, seen, threads } from './looks';
import { CHAIR_SIZES } from './usual-sizes';

/** Kind H: a boxed chair pad closed with hook-and-loop, with straps. Common practice, no source. */
export const strappedPad: CoverKind = {
  id: 'strapped-pad',
  letter: 'H',
  name: 'Boxed chair pad with straps',
  version: 4,
  about: 'Top and bottom with boxing, closed at the back with hook-and-loop, held by straps.',
  drawing: 'box',
  object: 'block',
  fill: 'firm',
  measures: [
    { id: 'width', label: 'Width', hint: 'across the pad at its widest', tape: 'front', ...workedBack('width') },
    { id: 'depth', label: 'Depth', hint: 'from the front edge to the back edge', tape: 'deep', ...workedBack('depth') },
    { id: 'thickness', label: 'Thickness', hint: 'the foam’s thickness', tape: 'high', ...boxingBack },
  ],
  outline: { measure: 'outline', across: 'width', along: 'depth', allowance: 'seam' },
  options: [
    seamOf('inch(1)', 'mm(25)'),
    {
      id: 'hem',
      label: 'Hems',
      type: 'hem',
      default: ['inch(1/4)', 'inch(1/4)'],
      metric: ['mm(6)', 'mm(6)'],
      hint: 'of the closure’s free edges and the boxing’s ends',
    },
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
    foamOption,
    pinsOption,
  ],
  usualSizes: CHAIR_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'cutDepth', is: 'depth + allowance' },
    { name: 'boxingHeight', is: 'thickness + 2 * seam' },
    { name: 'strip', is: '(traced ? perimeter - width : width + 2 * depth) + 2 * return + 2 * hem' },
    { name: 'closureHalf', is: 'thickness / 2 + seam + hem' },
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
    foamPiece('width', 'depth', { isTraced: true, traceAllowance: 'inch(0)' }),
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
      least: `min(${either('inch(12)', 'cm(30)')}, strip)`,
    },
  ],
  notions: [
    { name: 'hook-and-loop', qty: '1', length: 'width', note: 'along the back, between the two closure strips' },
    foamNotion('{width} x {depth} x {thickness}'),
  ],
  centre: ['cutWidth / 2', 'cutDepth / 2'],
  marks: strappedMarks,
  checks: [
    {
      code: 'boxing-low',
      field: 'thickness',
      level: 'warn',
      when: `thickness / 2 + seam < ${either('inch(3/4)', 'cm(2)')}`,
      message:
        'Half of a boxing of {boxingHeight} is too low for the tape; hook-and-loop is {metric ? cm(2) : inch(3/4)} wide.',
    },
  ],
  inspections: [
    ...plateSizes('cutWidth - 2 * seam', 'cutDepth - 2 * seam'),
    measured('height of the boxing', 'thickness'),
    ...boxingLooks,
    seen('hook-and-loop shuts flat over the whole back'),
    seen('straps alike, caught in the seam at the front of the top', 'Open the seam at the strap and catch it again.'),
    threads,
  ],
  steps: [
    cutStep,
    sawStep("{traced ? 'the traced outline' : 'its size'}, {thickness} thick"),
    markStep('the centre of every part, and the places of the straps', [
      'centre, front',
      'centre, back',
      'centre',
      'strap',
    ]),
    hemStep('Hem the strips first: the free edge of both closure strips, and both ends of the boxing.', 'hem'),
    {
      do: 'Sew hook-and-loop to the two closure strips, one half to each.',
      stitch: 'seam',
      foot: 'standard foot',
      needle: 'usual',
      tools: ['pins'],
      caution: CAUTION.needle,
    },
    seamStep('Catch the straps at the front of the top plate, inside the seam allowance; they are fastened behind.', {
      marks: ['strap'],
      when: 'straps > 0',
      tip: 'Straps and tape go on before the plates are joined.',
    }),
    seamStep(
      'Lay the half closure under the full one and baste both to the boxing’s ends, which go {return} round each back corner.',
      {
        stitch: 'basting',
        tools: ['pins'],
      },
    ),
    seamStep(
      'Sew the boxing to the top: begin at the middle of the front and go both ways; snip the corners to the stitch.',
      {
        before: {
          ask: 'Is the boxing free of twists, and do the centre marks meet?',
          helps: 'Lay the boxing round the plate and pin the centres first, then the corners.',
        },
        tools: ['pins', 'shears'],
      },
    ),
    seamStep('Sew the boxing to the bottom the same way, the tape open.', {
      before: {
        ask: 'Is the tape open?',
        helps: 'Open it: through a closed back nothing is turned.',
      },
      tools: ['pins', 'shears'],
    }),
    {
      do: 'Turn through the back with a blunt point.',
      tip: 'A blunt point, never scissors.',
      tools: ['point turner'],
    },
    foamFillStep(),
  ],
};

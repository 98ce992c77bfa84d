import type { CoverKind } from '../kind';
import { CAUTION, cordNotion, cutStep, piping, pipingOptions, seamOf } from './shared';

/** Handbook kind K: an ottoman or stool with a pillow top and a stapled skirt. Common practice, no source. */
export const pillowTopStool: CoverKind = {
  id: 'pillow-top-stool',
  letter: 'K',
  name: 'Stool with a pillow top and a skirt',
  version: 1,
  about: 'A piped, boxed pillow on top; a skirt joined to its underside and stapled to the frame.',
  drawing: 'stool',
  measures: [
    { id: 'length', label: 'Length', hint: 'seam to seam along the finished top' },
    { id: 'width', label: 'Width', hint: 'seam to seam across the finished top' },
    { id: 'thickness', label: 'Thickness', hint: 'of the pillow at its edge' },
    { id: 'drop', label: 'Drop', hint: 'from the seam to the underside of the frame' },
  ],
  options: [
    seamOf('inch(1/2)'),
    { id: 'pull', label: 'Pull', type: 'length', default: 'inch(2)', hint: 'what goes under the frame to be stapled' },
    {
      id: 'inset',
      label: 'Inset',
      type: 'length',
      default: 'inch(1/2)',
      hint: 'how far from the pillow’s edge the skirt joins: 1/2 to 4 in',
    },
    ...pipingOptions(undefined),
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutLength', is: 'length + allowance' },
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'boxingHeight', is: 'asCut ? thickness : thickness + 2 * seam' },
    { name: 'boxingLength', is: 'cutLength + cutWidth - 2 * seam' },
    { name: 'skirtHeight', is: 'asCut ? drop : drop + pull' },
    { name: 'run', is: '2 * (cutLength - 2 * seam + cutWidth - 2 * seam)' },
    { name: 'zip', is: 'stockDown(diagonal(cutLength, cutWidth) - inch(4))' },
  ],
  finished: {
    width: 'cutLength - 2 * seam',
    height: 'cutWidth - 2 * seam',
    thickness: 'boxingHeight - 2 * seam',
    skirt: 'asCut ? drop - pull : drop',
  },
  pieces: [
    {
      name: 'top',
      role: 'face',
      qty: 1,
      across: 'cutLength',
      along: 'cutWidth',
      match: { anchor: ['seam', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'bottom', role: 'back', qty: 1, across: 'cutLength', along: 'cutWidth' },
    { name: 'boxing', role: 'boxing', qty: 2, across: 'boxingLength', along: 'boxingHeight' },
    {
      name: 'long skirt',
      role: 'skirt',
      qty: 2,
      across: 'cutLength',
      along: 'skirtHeight',
      match: { anchor: ['seam', 'skirtHeight - seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'short skirt', role: 'skirt', qty: 2, across: 'cutWidth', along: 'skirtHeight' },
  ],
  strips: [piping('2', undefined)],
  notions: [
    cordNotion('2', undefined),
    { name: 'zip', qty: '1', when: 'zip > inch(0)', length: 'zip', note: 'on the diagonal of the hidden underside' },
    { name: 'staples', qty: 'whole(2 * (length + width) / inch(1))', note: 'about one an inch round the frame' },
  ],
  centre: ['cutLength / 2', 'cutWidth / 2'],
  checks: [
    {
      code: 'inset-range',
      field: 'inset',
      level: 'warn',
      when: 'inset < inch(1/2) || inset > inch(4)',
      message: 'The skirt joins the underside 1/2 to 4 in from its edge; {inset} is outside that.',
    },
    {
      code: 'pull-short',
      field: 'pull',
      level: 'warn',
      when: '!asCut && pull < inch(3/2)',
      message: 'A pull of {pull} is too short to staple; 2 in is usual.',
    },
    {
      code: 'cord-wide',
      field: 'cord',
      level: 'warn',
      when: 'cord > seam',
      message: 'A {cord} cord is thicker than the {seam} seam allowance; the foot will not reach the seam.',
    },
  ],
  steps: [
    cutStep,
    { do: 'Set the zip into a diagonal cut of the bottom; open it half way.', caution: CAUTION.needle },
    {
      do: 'Join the piping strips at 45 degrees, wrap the cord, and sew it round top and bottom.',
      caution: CAUTION.needle,
    },
    { do: 'Seam the two boxing lengths at the corners and sew them between top and bottom.' },
    {
      do: 'Sew the skirt’s corners straight up to the frame’s height and mitre them above; join it to the underside {inset} from the edge.',
    },
    { do: 'Pull the skirt over the frame and staple under it, middles first.', caution: CAUTION.staples },
    {
      do: 'Fill the pillow. Check: corners full, no pull at the piping, the skirt hangs straight.',
      caution: CAUTION.foam,
    },
  ],
};

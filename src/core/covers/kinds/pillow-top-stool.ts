import type { CoverKind, PartMatch, PartPiece } from '../kind';
import { stoolMarks } from './marks';
import {
  CAUTION,
  cordNotion,
  cordShort,
  cordWide,
  cutStep,
  edgesOption,
  edgesSteps,
  ownCord,
  ownZip,
  piping,
  pipingOptions,
  seamOf,
  zipLong,
} from './shared';

/** The four sides of the skirt; the long ones go on from the pattern of the top. */
const skirt = (when: string, outlineOf: (across: string) => PartPiece['outline']): PartPiece[] =>
  (
    [
      ['long skirt', 'cutLength'],
      ['short skirt', 'cutWidth'],
    ] as const
  ).map(([name, across]) => {
    const outline = outlineOf(across);
    return {
      name,
      role: 'skirt',
      qty: 2,
      when,
      across,
      along: 'skirtHeight',
      ...(outline && { outline }),
      ...(name === 'long skirt' && {
        match: { anchor: ['seam', 'skirtHeight - seam'], delta: ['inch(0)', 'inch(0)'] } as PartMatch,
      }),
    };
  });

/** A side whose two upper corners are cut off for the mitre. */
const mitred = (across: string): PartPiece['outline'] => [
  ['inch(0)', 'inch(0)'],
  [across, 'inch(0)'],
  [across, 'skirtHeight - mitre'],
  [`${across} - mitre`, 'skirtHeight'],
  ['mitre', 'skirtHeight'],
  ['inch(0)', 'skirtHeight - mitre'],
];

/** Kind K: an ottoman or stool with a pillow top and a stapled skirt. Common practice, no source. */
export const pillowTopStool: CoverKind = {
  id: 'pillow-top-stool',
  letter: 'K',
  name: 'Stool with a pillow top and a skirt',
  version: 3,
  about: 'A piped, boxed pillow on top; a skirt joined to its underside and stapled to the frame.',
  drawing: 'stool',
  object: 'stool',
  fill: 'soft',
  measures: [
    { id: 'length', label: 'Length', hint: 'seam to seam along the finished top', tape: 'front' },
    { id: 'width', label: 'Width', hint: 'seam to seam across the finished top', tape: 'deep' },
    { id: 'thickness', label: 'Thickness', hint: 'of the pillow at its edge', tape: 'high' },
    { id: 'drop', label: 'Drop', hint: 'from the seam to the underside of the frame', tape: 'drop' },
  ],
  options: [
    seamOf('inch(1/2)', 'mm(15)'),
    {
      id: 'pull',
      label: 'Pull',
      type: 'length',
      default: 'inch(2)',
      metric: 'cm(5)',
      hint: 'what goes under the frame to be stapled',
    },
    {
      id: 'inset',
      label: 'Inset',
      type: 'length',
      default: 'inch(1/2)',
      metric: 'mm(12)',
      hint: 'how far from the pillow’s edge the skirt joins: 1/2 to 4 in',
    },
    {
      id: 'corners',
      label: 'Skirt corners',
      type: 'choice',
      choices: [
        { id: 'mitred', label: 'mitred above the frame' },
        { id: 'straight', label: 'cut straight' },
      ],
      default: 'mitred',
    },
    {
      id: 'otherDrop',
      isRare: true,
      label: 'Drop, other side',
      type: 'length',
      hint: 'measured again on the next side',
    },
    ...pipingOptions(undefined),
    ownCord(undefined),
    ownZip,
    edgesOption,
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutLength', is: 'length + allowance' },
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'boxingHeight', is: 'asCut ? thickness : thickness + 2 * seam' },
    { name: 'boxingLength', is: 'cutLength + cutWidth - 2 * seam' },
    { name: 'skirtHeight', is: 'asCut ? drop : drop + pull' },
    // The mitre's seam takes the inset off both ways; its cut edge lies a seam allowance outside it.
    { name: 'mitre', is: 'min(inset + 2 * seam - diagonal(seam, seam), min(cutWidth / 2, skirtHeight))', inline: true },
    { name: 'run', is: '2 * (cutLength - 2 * seam + cutWidth - 2 * seam)' },
    { name: 'zip', is: 'zipLengthGiven ? zipLength : stockDown(diagonal(cutLength, cutWidth) - inch(4))' },
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
      axes: ['side to side', 'front to back'],
      across: 'cutLength',
      along: 'cutWidth',
      match: { anchor: ['seam', 'seam'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'bottom',
      role: 'back',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'cutLength',
      along: 'cutWidth',
    },
    { name: 'boxing', role: 'boxing', qty: 2, across: 'boxingLength', along: 'boxingHeight' },
    ...skirt("corners == 'mitred'", (across) => mitred(across)),
    ...skirt("corners == 'straight'", () => undefined),
  ],
  strips: [piping('2', undefined)],
  notions: [
    cordNotion('2', undefined),
    { name: 'zip', qty: '1', when: 'zip > inch(0)', length: 'zip', note: 'on the diagonal of the hidden underside' },
    { name: 'staples', qty: 'whole(2 * (length + width) / inch(1))', note: 'about one an inch round the frame' },
  ],
  centre: ['cutLength / 2', 'cutWidth / 2'],
  marks: stoolMarks,
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
      code: 'drops-disagree',
      field: 'otherDrop',
      level: 'warn',
      when: 'otherDropGiven && otherDrop != drop',
      message: 'One side drops {drop} and the other {otherDrop}; measure again, or cut all skirts to the longer.',
    },
    cordWide('cord > inch(0)'),
    cordShort('cord > inch(0)'),
    zipLong('diagonal(cutLength, cutWidth)'),
  ],
  steps: [
    cutStep,
    {
      do: 'Set the zip into a diagonal cut of the bottom; open it half way.',
      stitch: 'seam',
      foot: 'zip foot',
      caution: CAUTION.needle,
    },
    {
      do: 'Join the piping strips at 45 degrees, wrap the cord, and sew it round top and bottom.',
      stitch: 'upholstery',
      foot: 'piping foot',
      caution: CAUTION.needle,
    },
    { do: 'Seam the two boxing lengths at the corners and sew them between top and bottom.', stitch: 'upholstery' },
    {
      marks: ['mitre starts', 'skirt line'],
      do: 'Sew the skirt’s corners straight up to the frame’s height and mitre them above; join it to the underside {inset} from the edge.',
      stitch: 'upholstery',
      when: "corners == 'mitred'",
    },
    {
      marks: ['skirt line'],
      do: 'Sew the skirt’s corners straight; join it to the underside {inset} from the edge.',
      stitch: 'upholstery',
      when: "corners == 'straight'",
    },
    ...edgesSteps,
    { do: 'Pull the skirt over the frame and staple under it, middles first.', caution: CAUTION.staples },
    {
      do: 'Fill the pillow. Check: corners full, no pull at the piping, the skirt hangs straight.',
      caution: CAUTION.foam,
    },
  ],
};

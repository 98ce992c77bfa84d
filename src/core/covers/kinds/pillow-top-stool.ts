import type { CoverKind, PartMatch, PartPiece } from '../kind';
import { stoolMarks } from './marks';
import {
  cordNotion,
  cordShort,
  cordWide,
  edgesOption,
  either,
  ownCord,
  ownZip,
  padNotion,
  piping,
  pipingOptions,
  seamOf,
} from './shared';
import {
  CAUTION,
  cutStep,
  edgesSteps,
  fillStep,
  markStep,
  OPEN_ZIP,
  pinsOption,
  pipingEndOption,
  pipingSteps,
  seamStep,
  trimZipStep,
  turnStep,
  zipHoldOption,
  zipStep,
} from './steps';
import { boxingLooks, FIRM, measured, pipingLooks, seen, SHORT, SOFT, threads, zipRuns } from './looks';
import { STOOL_SIZES } from './usual-sizes';

/** The four sides of the skirt; the long ones go on from the pattern of the top. Mitres are pinned on the frame and trimmed after sewing. */
const skirt: PartPiece[] = (
  [
    ['long skirt', 'cutLength'],
    ['short skirt', 'cutWidth'],
  ] as const
).map(([name, across]) => ({
  name,
  role: 'skirt',
  qty: 2,
  across,
  along: 'skirtHeight',
  ...(name === 'long skirt' && {
    match: { anchor: ['seam', 'skirtHeight - seam'], delta: ['inch(0)', 'inch(0)'] } as PartMatch,
  }),
}));

/** Kind K: an ottoman or stool with a pillow top and a stapled skirt. Common practice, no source. */
export const pillowTopStool: CoverKind = {
  id: 'pillow-top-stool',
  letter: 'K',
  name: 'Stool with a pillow top and a skirt',
  version: 4,
  about: 'A piped, boxed pillow on top; a skirt joined to its underside and stapled to the frame.',
  drawing: 'stool',
  object: 'stool',
  fill: 'soft',
  measures: [
    {
      id: 'length',
      label: 'Length',
      hint: 'seam to seam along the finished top',
      tape: 'front',
      fromCut: 'length - allowance',
    },
    {
      id: 'width',
      label: 'Width',
      hint: 'seam to seam across the finished top',
      tape: 'deep',
      fromCut: 'width - allowance',
    },
    {
      id: 'thickness',
      label: 'Thickness',
      hint: 'of the pillow at its edge',
      tape: 'high',
      fromSeams: 'thickness',
      fromCut: 'thickness - 2 * seam',
    },
    {
      id: 'drop',
      label: 'Frame’s height',
      hint: 'from the seam to the underside of the frame; or of the old skirt with its pull, and then no pull below',
      tape: 'drop',
      fromCut: 'drop - pull - inset - seam',
    },
  ],
  options: [
    seamOf('inch(1/2)', 'mm(15)'),
    {
      id: 'pull',
      label: 'Pull',
      type: 'length',
      default: 'inch(2)',
      metric: 'cm(5)',
      hint: 'what goes under the frame to be stapled; 0 where the old pull is in the measure',
    },
    {
      id: 'inset',
      label: 'Inwards',
      type: 'length',
      default: 'inch(1/2)',
      metric: 'mm(15)',
      hint: 'how far from its cut edge the underside takes the skirt: 1/2 to 4 in, 1.5 to 10 cm',
    },
    {
      id: 'corners',
      label: 'Skirt corners',
      type: 'choice',
      choices: [
        { id: 'mitred', label: 'mitred as they fall on the frame' },
        { id: 'straight', label: 'sewn straight' },
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
    pipingEndOption(),
    ownZip,
    zipHoldOption(),
    edgesOption,
    pinsOption,
  ],
  usualSizes: STOOL_SIZES,
  defaultFit: 'true',
  allowance: { true: '2 * seam' },
  results: [
    { name: 'cutLength', is: 'length + allowance' },
    { name: 'cutWidth', is: 'width + allowance' },
    { name: 'boxingHeight', is: 'thickness + 2 * seam' },
    { name: 'boxingLength', is: 'cutLength + cutWidth - 2 * seam' },
    { name: 'straight', is: 'drop + pull' },
    { name: 'skirtHeight', is: 'straight + inset + seam' },
    // The zip must not cross the line on which the skirt is sewn.
    { name: 'freeDiagonal', is: 'diagonal(max(cutLength - 2 * inset, inch(0)), max(cutWidth - 2 * inset, inch(0)))' },
    { name: 'run', is: '2 * (cutLength - 2 * seam + cutWidth - 2 * seam)' },
    { name: 'zip', is: 'zipLengthGiven ? zipLength : stockDown(freeDiagonal)' },
  ],
  finished: {
    width: 'cutLength - 2 * seam',
    height: 'cutWidth - 2 * seam',
    thickness: 'boxingHeight - 2 * seam',
    skirt: 'drop',
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
    ...skirt,
    // Dacron goes round the frame under the skirt. From memory.
    { name: 'dacron, long side', role: 'batting', qty: 2, across: 'length', along: 'drop' },
    { name: 'dacron, short side', role: 'batting', qty: 2, across: 'width', along: 'drop' },
    { name: 'dust cover', role: 'dust cover', qty: 1, across: 'length', along: 'width' },
  ],
  strips: [piping('2', undefined)],
  notions: [
    cordNotion('2', undefined),
    padNotion('length', 'width'),
    {
      name: 'zip',
      qty: '1',
      when: 'zip > inch(0)',
      length: 'zip',
      note: 'on the diagonal of the underside, inside the skirt’s line',
    },
    {
      name: 'staples',
      qty: 'whole(2 * (length + width) / inch(1))',
      note: 'about one every {metric ? mm(25) : inch(1)} round the frame',
    },
  ],
  centre: ['cutLength / 2', 'cutWidth / 2'],
  marks: stoolMarks,
  checks: [
    {
      code: 'inset-range',
      field: 'inset',
      level: 'warn',
      when: `inset < ${either('inch(1/2)', 'mm(12)')} || inset > ${either('inch(4)', 'cm(10)')}`,
      message:
        'The skirt joins the underside {metric ? mm(15) : inch(1/2)} to {metric ? cm(10) : inch(4)} from its cut edge; {inset} is outside that.',
    },
    {
      code: 'pull-short',
      field: 'pull',
      level: 'warn',
      when: `pull > inch(0) && pull < ${either('inch(3/2)', 'cm(4)')}`,
      message:
        'A pull of {pull} is too short to staple; {metric ? cm(5) : inch(2)} is usual, nothing where the old pull is in the measure.',
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
    {
      code: 'zip-long',
      field: 'zipLength',
      level: 'stop',
      when: 'zipLengthGiven && zipLength > freeDiagonal',
      message:
        'A zip of {zipLength} would cross the line on which the skirt is sewn: inside it the diagonal of the underside is {freeDiagonal}. Take a shorter one.',
    },
    {
      code: 'zip-none',
      field: 'inset',
      level: 'warn',
      when: 'zip == inch(0)',
      message: 'Inside the skirt’s line the underside has a diagonal of {freeDiagonal}: no stock zip is so short.',
    },
  ],
  inspections: [
    measured('length', 'cutLength - 2 * seam', SOFT, { helps: SHORT }),
    measured('depth', 'cutWidth - 2 * seam', SOFT, { helps: SHORT }),
    measured('height of the boxing', 'boxingHeight - 2 * seam', SOFT),
    measured('skirt, at the same height all round', 'drop', FIRM, {
      helps: 'Pull the staples of the side that is off and draw it again from its middle.',
    }),
    seen('mitres lie flat', 'Try the corner on the frame again before more is trimmed.', "corners == 'mitred'"),
    ...boxingLooks,
    pipingLooks(),
    ...zipRuns('zip > inch(0)'),
    threads,
  ],
  steps: [
    cutStep,
    markStep(
      'where the straight seam ends, {straight} from the lower edge, and the skirt’s line on the underside, {inset} from its cut edge,',
      ['straight seam ends', 'skirt line'],
    ),
    ...edgesSteps,
    seamStep('Sew the four skirt sides into a ring, their corners only up to the mark.', {
      marks: ['straight seam ends'],
      stitch: 'upholstery',
      needle: 'heavy',
    }),
    {
      do: 'Pin the ring over the frame wrong side out, and pin the mitres as they fall.',
      when: "corners == 'mitred'",
      tools: ['pins', 'marker'],
    },
    seamStep('Sew the mitres along the pins and try the ring on right side out; only then trim them.', {
      when: "corners == 'mitred'",
      stitch: 'upholstery',
      needle: 'heavy',
      before: {
        ask: 'Is the mitre tried on the frame before it is trimmed?',
        helps: 'Try it on right side out; unpick and pin again where it stands off.',
      },
      tools: ['pins', 'shears', 'seam ripper'],
    }),
    seamStep('Sew the corners straight on over the whole height.', {
      when: "corners == 'straight'",
      stitch: 'upholstery',
      needle: 'heavy',
    }),
    seamStep('Sew the ring to the underside along the line drawn on it, corners over corners.', {
      marks: ['skirt line'],
      stitch: 'upholstery',
      needle: 'heavy',
      before: { ask: 'Is the ring free of twists?', helps: 'Lay it flat round the underside once more.' },
    }),
    zipStep(
      'Lay the zip on the diagonal inside that line, a scrap at each end, sew round it, and slit the underside behind it.',
      {
        when: 'zip > inch(0)',
        seam: either('inch(1/4)', 'mm(6)'),
        tip: 'The zip must not cross the line. Scraps cover its ends. Past the slider: needle down, foot up, slider through, foot down.',
        tools: ['pins', 'shears', 'contrasting thread for basting'],
      },
    ),
    trimZipStep('zip > freeDiagonal'),
    ...pipingSteps('top and underside', undefined),
    seamStep('Seam the two boxing lengths at the corners and sew the ring to the top, from the middle of a side.', {
      stitch: 'upholstery',
      needle: 'heavy',
      before: {
        ask: 'Is the boxing free of twists, and does its seam fall on a corner?',
        helps: 'Lay the ring flat round the top and pin the corners first.',
      },
    }),
    {
      do: 'Look at each corner of the piping; sew again closer to the cord where it pulls, before the underside goes on.',
      stitch: 'upholstery',
      foot: 'piping foot',
      needle: 'heavy',
    },
    seamStep('Sew the underside in last, the skirt folded out of the way.', {
      stitch: 'upholstery',
      needle: 'heavy',
      before: OPEN_ZIP,
    }),
    turnStep(),
    {
      do: 'Lay dacron over the frame, draw the skirt over it and staple under it: middles first, opposite sides by turns, corners last.',
      tools: ['staple gun', 'staple remover'],
      before: {
        ask: 'Does the cover sit straight on its frame?',
        helps: 'Pull the few staples and shift it now; after the corners it stays as it is.',
      },
      caution: CAUTION.staples,
    },
    { do: 'Staple the dust cover under the frame.', tools: ['staple gun'], caution: CAUTION.staples },
    fillStep('Fill the pillow, the corners first.'),
  ],
};

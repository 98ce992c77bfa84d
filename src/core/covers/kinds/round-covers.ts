import type { Arc, CoverKind } from '../kind';
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
  pipingChoice,
  pipingOptions,
  seamOf,
  zipLong,
  zipShort,
} from './shared';

// Round covers: a disc and a tube; what runs round a disc is pi times its diameter (field standard).

/** A whole disc that fills its box. */
const disc = (diameter: string): Arc[] => [
  { centre: [`${diameter} / 2`, `${diameter} / 2`], radius: `${diameter} / 2`, from: 0, to: 360 },
];

const curveChecks = [
  {
    code: 'straight-on-curve',
    field: 'grain',
    level: 'warn' as const,
    when: "piping != 'none' && grain == 'straight'",
    message: 'Piping on straight grain does not bend round a curve; cut it on the bias.',
  },
];

/** A round boxed cushion: two discs, boxing and a zip panel over half of the way round each. */
export const roundCushion: CoverKind = {
  id: 'round-cushion',
  letter: '',
  name: 'Round boxed cushion',
  version: 3,
  about: 'Two discs with boxing between; a zip panel runs round the back half.',
  drawing: 'round',
  object: 'round',
  fill: 'firm',
  measures: [
    { id: 'diameter', label: 'Diameter', hint: 'across the middle, at two places', tape: 'diameter' },
    { id: 'thickness', label: 'Thickness', hint: 'the foam’s thickness', tape: 'high' },
  ],
  options: [
    seamOf('inch(1/2)', 'mm(15)'),
    pipingChoice([
      { id: 'top', label: 'at the top' },
      { id: 'both', label: 'top and bottom' },
    ]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    ownZip,
    edgesOption,
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: '2 * seam - inch(1/4)', overfull: '2 * seam - inch(1/2)' },
  results: [
    { name: 'disc', is: 'diameter + allowance' },
    { name: 'run', is: 'circumference(disc - 2 * seam)' },
    { name: 'half', is: 'run / 2 + 2 * seam' },
    { name: 'boxingHeight', is: 'asCut ? thickness : thickness + 2 * seam' },
    { name: 'panelHalf', is: 'asCut ? (thickness + 2 * seam) / 2 : (thickness + 4 * seam) / 2' },
    { name: 'zip', is: 'zipLengthGiven ? zipLength : stockUp(run / 2)' },
  ],
  finished: { width: 'disc - 2 * seam', height: 'disc - 2 * seam', thickness: 'boxingHeight - 2 * seam' },
  pieces: [
    {
      name: 'top',
      role: 'face',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'disc',
      along: 'disc',
      outline: disc('disc'),
      match: { anchor: ['disc / 2', 'disc / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    {
      name: 'bottom',
      role: 'back',
      qty: 1,
      axes: ['side to side', 'front to back'],
      across: 'disc',
      along: 'disc',
      outline: disc('disc'),
    },
    { name: 'zip panel half', role: 'boxing', qty: 2, across: 'half', along: 'panelHalf' },
  ],
  strips: [
    {
      name: 'boxing',
      role: 'boxing',
      qty: '1',
      width: 'boxingHeight',
      length: 'half',
      grain: "'straight'",
      loss: '2 * seam',
      least: 'min(inch(12), half)',
    },
    piping("piping == 'both' ? 2 : 1", "piping != 'none'"),
  ],
  notions: [
    { name: 'zip', qty: '1', length: 'zip', note: 'coil, trimmed to fit' },
    cordNotion("piping == 'both' ? 2 : 1", "piping != 'none'"),
    { name: 'foam', qty: '1', note: '{diameter} round x {thickness}' },
  ],
  centre: ['disc / 2', 'disc / 2'],
  checks: [
    ...curveChecks,
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipShort('(run / 2)'),
    {
      code: 'boxing-low',
      field: 'thickness',
      level: 'warn',
      when: 'thickness < inch(1)',
      message: 'A boxing of {thickness} is too low for a zip panel; 1 in is the least that takes a coil zip.',
    },
  ],
  steps: [
    cutStep,
    {
      do: 'Join the piping strips at 45 degrees, wrap the cord and sew it round along the seam line; clip its allowance every inch.',
      stitch: 'seam',
      foot: 'piping foot',
      when: "piping != 'none'",
      caution: CAUTION.needle,
    },
    {
      do: 'Press the long edge of each zip panel half under, lay both along the zip and stitch close to the fold.',
      stitch: 'seam',
      foot: 'zip foot',
      caution: CAUTION.iron,
    },
    {
      do: 'Join zip panel and boxing into a ring; fold it in four and mark, and mark both discs in four.',
      stitch: 'seam',
    },
    ...edgesSteps,
    {
      do: 'Sew the ring to the top mark on mark, its allowance clipped to the stitch.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Open the zip half way, then sew the ring to the bottom.', stitch: 'seam' },
    { do: 'Turn, press the seams, fill with the foam.', caution: CAUTION.foam },
    { do: 'Check: round without flats, the ring stands straight, the zip runs.' },
  ],
};

/** A bolster: a tube with two discs, its zip in the seam of the tube. */
export const bolster: CoverKind = {
  id: 'bolster',
  letter: '',
  name: 'Bolster',
  version: 3,
  about: 'A tube round the roll and a disc at each end; the zip lies in the tube’s seam.',
  drawing: 'bolster',
  object: 'bolster',
  fill: 'soft',
  measures: [
    { id: 'diameter', label: 'Diameter', hint: 'of the end, across the middle', tape: 'diameter' },
    { id: 'length', label: 'Length', hint: 'from end seam to end seam', tape: 'long' },
  ],
  options: [
    seamOf('inch(1/2)', 'mm(15)'),
    pipingChoice([{ id: 'ends', label: 'round both ends' }]),
    ...pipingOptions("piping != 'none'"),
    ownCord("piping != 'none'"),
    ownZip,
    edgesOption,
  ],
  defaultFit: 'true',
  allowance: { true: '2 * seam', snug: '2 * seam - inch(1/2)' },
  results: [
    { name: 'disc', is: 'diameter + allowance' },
    { name: 'run', is: 'circumference(disc - 2 * seam)' },
    { name: 'tube', is: 'length + allowance' },
    { name: 'around', is: 'run + 2 * seam' },
    { name: 'zip', is: 'zipLengthGiven ? zipLength : stockDown(tube - 2 * seam - inch(4))' },
  ],
  finished: { width: 'tube - 2 * seam', height: 'disc - 2 * seam' },
  pieces: [
    {
      name: 'tube',
      role: 'face',
      qty: 1,
      axes: ['side to side', 'up and down'],
      across: 'tube',
      along: 'around',
      match: { anchor: ['tube / 2', 'around / 2'], delta: ['inch(0)', 'inch(0)'] },
    },
    { name: 'end', role: 'contrast', qty: 2, across: 'disc', along: 'disc', outline: disc('disc') },
  ],
  strips: [piping('2', "piping != 'none'")],
  notions: [
    { name: 'zip', qty: '1', when: 'zip > inch(0)', length: 'zip', note: 'coil, in the tube’s seam' },
    cordNotion('2', "piping != 'none'"),
  ],
  centre: ['tube / 2', 'around / 2'],
  checks: [
    ...curveChecks,
    cordWide("piping != 'none'"),
    cordShort("piping != 'none'"),
    zipLong('(tube - 2 * seam)'),
    {
      code: 'zip-none',
      field: 'length',
      level: 'warn',
      when: 'zip == inch(0)',
      message: 'No stock zip is 4 in shorter than a seam of {tube - 2 * seam}.',
    },
  ],
  steps: [
    cutStep,
    {
      do: 'Sew the piping round both ends of the tube’s pattern line, its allowance clipped every inch.',
      stitch: 'seam',
      foot: 'piping foot',
      when: "piping != 'none'",
      caution: CAUTION.needle,
    },
    {
      do: 'Sew the tube’s seam 2 in from each end, baste the rest, press it open and set the zip under it.',
      stitch: 'seam',
      foot: 'zip foot',
      caution: CAUTION.iron,
    },
    ...edgesSteps,
    {
      do: 'Open the zip half way. Mark tube and ends in four and sew each end in, mark on mark.',
      stitch: 'seam',
      caution: CAUTION.needle,
    },
    { do: 'Turn and fill.', caution: CAUTION.foam },
    { do: 'Check: ends round without flats, the zip runs.' },
  ],
};

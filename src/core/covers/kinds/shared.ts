import type { Check, CoverKind, KindOption, Measure, Notion, PartPiece, PartStrip } from '../kind';

// Options and parts that several kinds share. Sizes are common practice of the trade, without a published source.

/** A length that is another, and a round one, in metric orders; both are formulas. */
export const either = (inch: string, metric: string): string => `(metric ? ${metric} : ${inch})`;

/** How a size of an old cover leads to the form's: from seam to seam, and from cut edge to cut edge, with the fit's allowance taken off. */
export const workedBack = (id: string) => ({ fromSeams: `${id} + 2 * seam - allowance`, fromCut: `${id} - allowance` });

/** The seam allowance, with the kind's usual one in inches and, for metric orders, in centimetres. Metric ones from memory. */
export const seamOf = (usual: string, metric: string): KindOption => ({
  id: 'seam',
  label: 'Seam allowance',
  type: 'length',
  default: usual,
  metric,
  hint: 'per side',
});

export const padMeasures: Measure[] = [
  {
    id: 'width',
    label: 'Width',
    hint: 'across the pad, side seam to side seam over the curve',
    tape: 'across',
    ...workedBack('width'),
  },
  {
    id: 'height',
    label: 'Height',
    hint: 'down the pad, top seam to bottom seam over the curve',
    tape: 'down',
    ...workedBack('height'),
  },
];

/** The height of an old boxing leads to the thickness of its foam. */
export const boxingBack = { fromSeams: 'thickness', fromCut: 'thickness - 2 * seam' };

export const blockMeasures: Measure[] = [
  {
    id: 'length',
    label: 'Length',
    hint: 'along the front edge of the foam',
    tape: 'front',
    ...workedBack('length'),
  },
  {
    id: 'width',
    label: 'Width',
    hint: 'from the front edge to the back edge of the foam',
    tape: 'deep',
    ...workedBack('width'),
  },
  { id: 'thickness', label: 'Thickness', hint: 'the foam’s thickness', tape: 'high', ...boxingBack },
];

/** The foam of a cover: cut from a sheet that the workroom keeps, or bought cut to size. */
export const foamOption: KindOption = {
  id: 'foam',
  label: 'Foam',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'sheet', label: 'cut from a sheet' },
    { id: 'cut', label: 'bought cut to size' },
  ],
  default: 'sheet',
};

export const FROM_SHEET = "foam == 'sheet'";

/** Foam that is laid on its sheets like any other material. */
export const foamPiece = (across: string, along: string, rest: Partial<PartPiece> = {}): PartPiece => ({
  name: 'foam',
  role: 'foam',
  qty: 1,
  when: FROM_SHEET,
  axes: ['side to side', 'front to back'],
  across,
  along,
  ...rest,
});

export const foamNotion = (note: string): Notion => ({ name: 'foam', qty: '1', when: "foam == 'cut'", note });

/** The pad that fills a soft cover, as large as its form: the next stock size. */
export const padNotion = (wide = 'width', high = 'height'): Notion => ({
  name: 'pad',
  qty: '1',
  size: [wide, high],
  note: `for a form of {${wide}} x {${high}}`,
});

// Schools: two ways of doing a thing, both good. The workroom chooses once (its rules), and an order may differ.

/** The piping of one run of edge: strip = run + 6 in (15 cm), wide enough for two seam allowances and twice the cord. */
export const piping = (qty: string, when: string | undefined): PartStrip => ({
  name: 'piping',
  role: 'welt',
  qty,
  ...(when && { when }),
  width: '2 * seam + 2 * cord',
  length: `run + ${either('inch(6)', 'cm(15)')}`,
  grain: 'grain',
  loss: '2 * seam + 2 * cord',
  least: `min(${either('inch(12)', 'cm(30)')}, run + ${either('inch(6)', 'cm(15)')})`,
});

export const cordNotion = (qty: string, when: string | undefined): Notion => ({
  name: 'piping cord',
  qty,
  ...(when && { when }),
  length: `run + ${either('inch(2)', 'cm(5)')}`,
  note: '{cord} cord',
});

/** Cord and grain are asked for when there is piping. */
export const pipingOptions = (when: string | undefined): KindOption[] => [
  {
    id: 'cord',
    label: 'Cord',
    type: 'length',
    default: 'inch(1/4)',
    metric: 'mm(6)',
    ...(when && { when }),
    hint: 'the cord’s diameter',
  },
  {
    id: 'grain',
    label: 'Piping cut',
    type: 'choice',
    ...(when && { when }),
    choices: [
      { id: 'bias', label: 'on the bias' },
      { id: 'straight', label: 'on straight grain' },
    ],
    default: 'bias',
  },
];

export const YES_NO = [
  { id: 'yes', label: 'yes' },
  { id: 'no', label: 'no' },
];

/** Finish of raw edges that fray. */
export const edgesOption: KindOption = {
  id: 'edges',
  label: 'Raw edges',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'overlock', label: 'overlocked or zigzagged' },
    { id: 'pinked', label: 'pinked' },
    { id: 'hot-knife', label: 'hot-knifed' },
    { id: 'none', label: 'left as cut' },
  ],
  default: 'overlock',
};

/** The zip that lies there already, in place of the next stock length. */
export const ownZip: KindOption = {
  id: 'zipLength',
  label: 'Zip you have',
  type: 'length',
  hint: 'empty: the next stock length',
  isRare: true,
};

/** The closure of the opening. */
export const closureOption: KindOption = {
  id: 'closure',
  label: 'Closure',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'zip', label: 'zip' },
    { id: 'tape', label: 'hook-and-loop' },
  ],
  default: 'zip',
};

export const ZIPPED = "closure == 'zip'";

export const TAPED = "closure == 'tape'";

/** Hook-and-loop in a seam is sewn to a facing at each side of the opening, 1 1/2 in (4 cm) wide: common practice, no source. */
export const tapeFacing = (opening: string): CoverKind['pieces'][number] => ({
  name: 'tape facing',
  role: 'face',
  qty: 2,
  when: TAPED,
  across: `${opening} + 2 * seam`,
  along: either('inch(1 1/2)', 'cm(4)'),
});

/** A zip that is trimmed to its seam must be at least as long as the seam; only coil is trimmed. */
export const zipShort = (seam: string, when = 'zipLengthGiven'): Check => ({
  code: 'zip-short',
  field: 'zipLength',
  level: 'warn',
  when: `${when} && zipLengthGiven && zipLength < ${seam}`,
  message: `A zip of {zipLength} is shorter than its seam of {${seam}}; take a longer one and trim it.`,
});

/** A zip that lies within its seam can't be longer than the seam. */
export const zipLong = (seam: string, when = 'zipLengthGiven'): Check => ({
  code: 'zip-long',
  field: 'zipLength',
  level: 'warn',
  when: `${when} && zipLengthGiven && zipLength > ${seam}`,
  message: `A zip of {zipLength} is longer than the {${seam}} it goes into; sew across a coil zip and cut it, or take a shorter one.`,
});

/** The cord that lies there already. */
export const ownCord = (when: string | undefined): KindOption => ({
  id: 'cordLength',
  label: 'Cord you have',
  type: 'length',
  hint: 'empty: cut to the run',
  isRare: true,
  ...(when && { when }),
});

export const cordShort = (when: string): Check => ({
  code: 'cord-short',
  field: 'cordLength',
  level: 'warn',
  when: `${when} && cordLengthGiven && cordLength < run`,
  message: 'A cord of {cordLength} is shorter than the run of {run}; it needs {run + (metric ? cm(5) : inch(2))}.',
});

export const cordWide = (when: string): Check => ({
  code: 'cord-wide',
  field: 'cord',
  level: 'warn',
  when: `${when} && cord > seam`,
  message: 'A {cord} cord is thicker than the {seam} seam allowance; the foot will not reach the seam.',
});

export const pipingChoice = (all: { id: string; label: string }[]): KindOption => ({
  id: 'piping',
  label: 'Piping',
  type: 'choice',
  choices: [{ id: 'none', label: 'none' }, ...all],
  default: 'none',
});

const LEAST_OVERLAP = either('inch(3)', 'cm(7.5)');

/** Overlapping backs: too short stops or warns, and what they lie over is said. */
export const overlapChecks = (lies: string, what: string): Check[] =>
  (['stop', 'warn'] as const).map((level) => ({
    code: 'overlap-short',
    field: 'overlap',
    level,
    when: level === 'stop' ? `${lies} <= inch(0)` : `${lies} > inch(0) && ${lies} < ${LEAST_OVERLAP}`,
    message: `The ${what} would overlap {${lies}}; {${LEAST_OVERLAP}} is the least that stays shut.`,
  }));

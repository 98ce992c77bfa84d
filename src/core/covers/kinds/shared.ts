import type {
  Check,
  CoverKind,
  KindInspection,
  KindOption,
  Measure,
  Notion,
  PartPiece,
  PartStrip,
  Step,
} from '../kind';

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

export const CAUTION = {
  cutter: 'Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler’s edge.',
  iron: 'Hot iron: try a scrap first, and stand it on its heel.',
  needle: 'Keep fingers clear of the needle; one that hits a pin breaks, so mind your eyes.',
  foam: 'Foam, filling and cover cloth of furniture fall under local fire-safety rules. Follow your local code and qualified practice; nothing here certifies compliance.',
  adhesive: 'Spray adhesive is flammable: ventilate, keep flames away, and let the solvent flash off.',
  glue: 'Vinyl and leather glue: do what its maker says, ventilate, and keep it off the skin.',
  staples: 'Staple gun: wear eye protection, keep fingers out of line, and mind pulled staples.',
  small: 'Buttons, cords and small snaps: keep them from infants and pets.',
  belt: 'A pad on a vehicle belt can change how the belt works: the vehicle maker’s advice goes first.',
  hotKnife: 'Hot knife: cut on glass, ventilate the fumes, and only acrylics; natural fibres burn.',
  knife: 'Foam saw or electric knife: clamp the foam, cut away from yourself, and unplug to change blades.',
} as const;

export const cutStep: Step = {
  do: 'Press the cloth, square its end against the selvage and cut the parts; put a label on each.',
  tools: ['rotary cutter and ruler', 'shears', 'iron', 'tape measure'],
  caution: CAUTION.cutter,
};

/** Marks are made after cutting, on the wrong side. */
export const markStep = (what: string, marks: string[], when?: string): Step => ({
  do: `Mark ${what} on the wrong side.`,
  marks,
  tip: 'A heat-erasing pen can come back as a ghost line: hidden places only. Centre lines are folded, not measured.',
  tools: ['marker', 'tape measure'],
  ...(when && { when }),
});

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
const FROM_SHEET = "foam == 'sheet'";

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

/** Pins are taken out before the foot, or sewn over where they lie across the seam. */
export const pinsOption: KindOption = {
  id: 'pins',
  label: 'Pins',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'out', label: 'taken out before the foot' },
    { id: 'over', label: 'sewn over, set crosswise' },
  ],
  default: 'out',
};

/** A zip is basted by hand in a thread of another colour, or pinned. */
export const zipHoldOption = (when?: string): KindOption => ({
  id: 'zipHold',
  label: 'Zip held by',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'basted', label: 'basting by hand' },
    { id: 'pinned', label: 'pins' },
  ],
  default: 'basted',
  ...(when && { when }),
});

/** The ends of piping overlap along a side, as on furniture, or cross out into the seam at a corner, as on plain work. */
export const pipingEndOption = (when?: string): KindOption => ({
  id: 'pipingEnd',
  label: 'Piping ends',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'overlapped', label: 'overlapped along a side' },
    { id: 'crossed', label: 'crossed out at a corner' },
  ],
  default: 'overlapped',
  ...(when && { when }),
});

/** The schools that a workroom chooses among once. */
export const SCHOOLS = [pinsOption, zipHoldOption(), pipingEndOption()].map(({ id, label, ...option }) => ({
  id,
  label,
  choices: option.type === 'choice' ? option.choices : [],
}));

const PINS =
  "{pins == 'over' ? 'Sew slowly over pins set crosswise.' : 'Take each pin out before the foot reaches it.'}";
const HOLD =
  "{zipHold == 'basted' ? 'Baste the zip by hand in a thread of another colour: a few minutes that save a quarter of an hour.' : 'Pin the zip crosswise.'}";
const PIPING_END =
  "{pipingEnd == 'crossed' ? 'Let both ends cross out into the seam at a corner.' : 'Trim the cord back and lap the strip’s ends along a side, never at a corner.'}";

/** A plain seam round a cover that is turned afterwards. */
export const seamStep = (what: string, rest: Partial<Step> = {}): Step => ({
  do: what,
  seam: 'seam',
  stitch: 'seam',
  foot: 'standard foot',
  needle: 'usual',
  tip: `${PINS} Needle down at the corners, foot up, turn; back-stitch at both ends.`,
  tools: ['pins'],
  caution: CAUTION.needle,
  ...rest,
});

/** A line close to the edge of what is turned, which closes its gap. */
export const edgeStitch = (what: string): Step => ({
  do: what,
  seam: either('inch(1/8)', 'mm(3)'),
  stitch: 'seam',
  foot: 'standard foot',
  needle: 'usual',
  tip: 'Needle down at the corners, foot up, turn.',
  caution: CAUTION.needle,
});

/** A hem that is pressed and stitched along its fold. */
export const hemStep = (what: string, hem: string | string[], rest: Partial<Step> = {}): Step => ({
  do: what,
  hem,
  stitch: 'seam',
  foot: 'standard foot',
  needle: 'usual',
  tools: ['iron', 'pins'],
  caution: CAUTION.iron,
  ...rest,
});

/** A zip under a foot of its own; past its slider the needle stays down. */
export const zipStep = (what: string, rest: Partial<Step> = {}): Step => ({
  do: what,
  stitch: 'seam',
  foot: 'zip foot',
  needle: 'usual',
  tip: `${HOLD} Past the slider: needle down, foot up, slider through, foot down. Three lines across each end of the zip.`,
  tools: ['pins', 'hand needle', 'contrasting thread for basting', 'seam ripper'],
  before: {
    ask: 'Are the slider and the metal stop clear of the seam?',
    helps: 'Move the slider to the middle, and the stop beyond the seam line, before the foot goes by.',
  },
  caution: CAUTION.needle,
  ...rest,
});

/** A zip that is too long is sewn across first and cut then. */
export const trimZipStep = (when: string): Step => ({
  do: 'Sew across the zip’s teeth where it ends, then cut off what is too long.',
  stitch: 'seam',
  foot: 'zip foot',
  needle: 'usual',
  tip: 'Only coil is cut; metal teeth must fit as they are.',
  before: {
    ask: 'Is the slider in the middle, and the zip sewn across its teeth?',
    helps: 'Draw the slider to the middle and sew across first: a slider that runs off a cut end is lost.',
  },
  tools: ['shears'],
  when,
});

/** Before a cover is closed, its zip is opened. */
export const OPEN_ZIP = {
  ask: 'Is the zip at least half open?',
  helps: 'Open it now: through a closed zip nothing can be turned.',
} as const;

/** Piping is covered, sewn round, and looked at corner by corner. */
export const pipingSteps = (where: string, when: string | undefined, pipingSeam = 'seam'): Step[] => [
  {
    do: 'Join the piping strips at 45 degrees, never at a corner, and press the joins open; sew the strip round its cord.',
    seam: pipingSeam,
    stitch: 'seam',
    foot: 'piping foot',
    needle: 'usual',
    tools: ['pins', 'iron'],
    caution: CAUTION.needle,
    ...(when && { when }),
  },
  {
    do: `Sew the piping round ${where} along the seam line, from the middle of a side, its allowance clipped at each corner.`,
    seam: pipingSeam,
    stitch: 'seam',
    foot: 'piping foot',
    needle: 'usual',
    tip: `${PIPING_END} Look at each corner, and sew again closer to the cord where it pulls.`,
    before: {
      ask: 'Do both flags of the piping lie flat, and is it sewn tight at each corner?',
      helps: 'Sew again closer to the cord, at the corners first.',
    },
    tools: ['shears', 'seam ripper'],
    caution: CAUTION.needle,
    ...(when && { when }),
  },
];

/** Corners are clipped and the cover is turned. */
export const turnStep = (
  what = 'Clip the corners at 45 degrees outside the stitches, turn with a blunt point and press.',
): Step => ({
  do: what,
  tip: 'A blunt point, never scissors.',
  tools: ['shears', 'point turner', 'iron'],
  caution: CAUTION.iron,
});

/** Soft fillings and foam go into the corners first. */
export const fillStep = (what = 'Fill it, the corners first.', rest: Partial<Step> = {}): Step => ({
  do: what,
  caution: CAUTION.foam,
  ...rest,
});

export const foamFillStep = (rest: Partial<Step> = {}): Step =>
  fillStep('Fold the foam, push it into the back corners first and let it open; close the cover.', rest);

export const sawStep = (foam: string): Step => ({
  do: `Cut the foam to ${foam}, straight down.`,
  when: FROM_SHEET,
  tools: ['foam saw'],
  caution: CAUTION.knife,
});

// What is looked at on the finished cover. Common practice, no source.

/** Tolerances: 1/8 in by the tape, 1/4 on soft fills. */
export const FIRM = either('inch(1/8)', 'mm(3)');
export const SOFT = either('inch(1/4)', 'mm(6)');

export const measured = (
  what: string,
  size: string,
  tolerance: string = FIRM,
  rest: Partial<KindInspection> = {},
): KindInspection => ({ what, size, tolerance, ...rest });
export const seen = (what: string, helps?: string, when?: string): KindInspection => ({
  what,
  ...(helps && { helps }),
  ...(when && { when }),
});

export const SHORT =
  'Short by less than {metric ? mm(6) : inch(1/4)}: ease the form, or choose the other school of fit; more: sew again.';
const STRIPE = 'Off by up to {metric ? mm(3) : inch(1/8)}: press and accept; more: unpick that seam.';

export const softSizes = (width: string, height: string): KindInspection[] => [
  measured('width', width, SOFT, { helps: SHORT }),
  measured('height', height, SOFT, { helps: SHORT }),
];

/** Foam covers and plates are measured both ways and over their diagonals. */
export const plateSizes = (length: string, width: string, tolerance: string = FIRM): KindInspection[] => [
  measured('length', length, tolerance, { helps: SHORT }),
  measured('depth', width, tolerance, { helps: SHORT }),
  measured('both diagonals, equal', `diagonal(${length}, ${width})`, SOFT, {
    helps: 'Ease the longer diagonal over the form; unpick a corner that was sewn out of square.',
  }),
];

export const threads: KindInspection = seen(
  'corners full, no loose threads',
  'Push the filling into the corners; trim the threads.',
);
/** The same of a cover without a filling. */
export const trimmed: KindInspection = seen(
  'corners square, no loose threads',
  'Push the corners out with a blunt point; trim the threads.',
);
export const overlapCloses: KindInspection[] = [
  seen('overlap closes on the filled form without gaping', 'A hidden snap in the middle of the overlap.'),
  seen('hems straight'),
  seen('print upright on both faces'),
];
export const zipRuns = (when?: string): KindInspection[] => [
  seen(
    'zip runs its whole length with the filling in',
    'Free the seam beside the teeth; a trimmed coil is sewn across again.',
    when,
  ),
  seen('ends of the zip closed, its teeth hidden where they should be', undefined, when),
];
export const boxingLooks: KindInspection[] = [
  seen(
    'boxing seams at the corners, within {metric ? mm(3) : inch(1/8)}',
    'Unpick the side that wandered and sew from its middle.',
  ),
  seen('stripes meet from plate to boxing', STRIPE),
];
export const pipingLooks = (when?: string): KindInspection =>
  seen('piping tight and without pull at the corners, its join not at a corner', 'Sew again closer to the cord.', when);

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

export const edgesSteps: Step[] = [
  { do: 'Overlock or zigzag the edges that fray.', when: "edges == 'overlock'", stitch: 'zigzag' },
  { do: 'Pink the raw edges.', when: "edges == 'pinked'", tools: ['shears'], caution: CAUTION.cutter },
  {
    do: 'Seal the raw edges with a hot knife on glass.',
    when: "edges == 'hot-knife'",
    tools: ['hot knife and glass'],
    caution: CAUTION.hotKnife,
  },
];

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

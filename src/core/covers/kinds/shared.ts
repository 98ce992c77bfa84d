import type { Check, CoverKind, KindOption, Measure, Notion, PartStrip, Step } from '../kind';

// Options and parts that several kinds share. Sizes are common practice of the trade, without a published source.

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
  { id: 'width', label: 'Width', hint: 'across the pad, side seam to side seam over the curve', tape: 'across' },
  { id: 'height', label: 'Height', hint: 'down the pad, top seam to bottom seam over the curve', tape: 'down' },
];

export const blockMeasures: Measure[] = [
  { id: 'length', label: 'Length', hint: 'along the front edge of the foam', tape: 'front' },
  { id: 'width', label: 'Width', hint: 'from the front edge to the back edge of the foam', tape: 'deep' },
  { id: 'thickness', label: 'Thickness', hint: 'the foam’s thickness', tape: 'high' },
];

export const CAUTION = {
  cutter: 'Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler’s edge.',
  iron: 'Hot iron: try a scrap first, and stand it on its heel.',
  needle: 'Keep fingers clear of the needle, and never sew over pins.',
  foam: 'Foam, filling and cover cloth of furniture fall under local fire-safety rules. Follow your local code and qualified practice; nothing here certifies compliance.',
  adhesive: 'Spray adhesive is flammable: ventilate, keep flames away, and let the solvent flash off.',
  staples: 'Staple gun: wear eye protection, keep fingers out of line, and mind pulled staples.',
  small: 'Buttons, cords and small snaps: keep them from infants and pets.',
  belt: 'A pad on a vehicle belt can change how the belt works: the vehicle maker’s advice goes first.',
  hotKnife: 'Hot knife: cut on glass, ventilate the fumes, and only acrylics; natural fibres burn.',
  knife: 'Foam saw or electric knife: clamp the foam, cut away from yourself, and unplug to change blades.',
} as const;

export const cutStep: Step = {
  do: 'Press the cloth, square its end against the selvage and cut the parts; put a label on each.',
  caution: CAUTION.cutter,
};

/** The piping of one run of edge: strip = run + 6 in, wide enough for two seam allowances and twice the cord. */
export const piping = (qty: string, when: string | undefined): PartStrip => ({
  name: 'piping',
  role: 'welt',
  qty,
  ...(when && { when }),
  width: '2 * seam + 2 * cord',
  length: 'run + inch(6)',
  grain: 'grain',
  loss: '2 * seam + 2 * cord',
  least: 'min(inch(12), run + inch(6))',
});

export const cordNotion = (qty: string, when: string | undefined): Notion => ({
  name: 'piping cord',
  qty,
  ...(when && { when }),
  length: 'run + inch(2)',
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
  { do: 'Overlock or zigzag the edges that fray.', when: "edges == 'overlock'" },
  { do: 'Pink the raw edges.', when: "edges == 'pinked'", caution: CAUTION.cutter },
  { do: 'Seal the raw edges with a hot knife on glass.', when: "edges == 'hot-knife'", caution: CAUTION.hotKnife },
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

/** Hook-and-loop in a seam is sewn to a facing at each side of the opening, 1 1/2 wide: common practice, no source. */
export const tapeFacing = (opening: string): CoverKind['pieces'][number] => ({
  name: 'tape facing',
  role: 'face',
  qty: 2,
  when: TAPED,
  across: `${opening} + 2 * seam`,
  along: 'inch(1 1/2)',
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
  message: 'A cord of {cordLength} is shorter than the run of {run}; it needs {run + inch(2)}.',
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

/** Overlapping backs: too short stops or warns, and what they lie over is said. */
export const overlapChecks = (lies: string, what: string): Check[] =>
  (['stop', 'warn'] as const).map((level) => ({
    code: 'overlap-short',
    field: 'overlap',
    level,
    when: level === 'stop' ? `${lies} <= inch(0)` : `${lies} > inch(0) && ${lies} < inch(3)`,
    message: `The ${what} would overlap {${lies}}; {inch(3)} is the least that stays shut.`,
  }));

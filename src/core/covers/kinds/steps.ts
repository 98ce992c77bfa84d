import type { KindOption, Step } from '../kind';
import { either, FROM_SHEET } from './shared';

// Steps that several kinds share, and the schools among them. Common practice of the trade, no source.

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

/** Pins are taken out before the foot, or sewn over where they lie across the seam. */
export const pinsOption: KindOption = {
  id: 'pins',
  label: 'Pins',
  isRare: true,
  type: 'choice',
  choices: [
    { id: 'out', label: 'taken out' },
    { id: 'over', label: 'sewn over' },
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
    { id: 'overlapped', label: 'lapped at a side' },
    { id: 'crossed', label: 'crossed at a corner' },
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

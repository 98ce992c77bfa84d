import type { KindOption, Measure, Notion, PartStrip, Step } from '../kind';

// What several kinds share. Sizes are common practice of the trade, without a published source.

/** The seam allowance, with the kind's usual one. */
export const seamOf = (usual: string): KindOption => ({
  id: 'seam',
  label: 'Seam allowance',
  type: 'length',
  default: usual,
  hint: 'per side',
});

export const padMeasures: Measure[] = [
  { id: 'width', label: 'Width', hint: 'across the pad, side seam to side seam over the curve' },
  { id: 'height', label: 'Height', hint: 'down the pad, top seam to bottom seam over the curve' },
];

export const blockMeasures: Measure[] = [
  { id: 'length', label: 'Length', hint: 'along the front edge of the foam' },
  { id: 'width', label: 'Width', hint: 'from the front edge to the back edge of the foam' },
  { id: 'thickness', label: 'Thickness', hint: 'the foam’s thickness' },
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

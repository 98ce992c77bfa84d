import type { KindOption, Notion, PartStrip, Step } from '../kind';

// What several kinds share. Sizes are common practice of the trade, without a published source.

export const seam: KindOption = {
  id: 'seam',
  label: 'Seam allowance',
  type: 'length',
  default: 'inch(1/2)',
  hint: 'per side; 1/2 in is usual in home furnishing',
};

export const CAUTION = {
  cutter: 'Close the rotary cutter whenever you put it down, and keep your fingers behind the ruler’s edge.',
  iron: 'Hot iron: try a scrap first, and stand it on its heel.',
  needle: 'Keep fingers clear of the needle, and never sew over pins.',
  foam: 'Foam, filling and cover cloth of furniture fall under local fire-safety rules. Follow your local code and qualified practice; nothing here certifies compliance.',
  knife: 'Foam saw or electric knife: clamp the foam, cut away from yourself, and unplug to change blades.',
} as const;

export const cutStep: Step = {
  do: 'Press the cloth, square its end against the selvage and cut the parts; put a label on each.',
  caution: CAUTION.cutter,
};

/** The piping of one run of edge: strip = run + 6 in, wide enough for two seam allowances and twice the cord. */
export const piping = (qty: string, when: string): PartStrip => ({
  name: 'piping',
  role: 'welt',
  qty,
  when,
  width: '2 * seam + 2 * cord',
  length: 'run + inch(6)',
  grain: 'grain',
  loss: '2 * seam + 2 * cord',
  least: 'min(inch(12), run + inch(6))',
});

export const cordNotion = (qty: string, when: string): Notion => ({
  name: 'piping cord',
  qty,
  when,
  length: 'run + inch(2)',
  note: '{cord} cord',
});

/** Cord and grain are asked for when there is piping. */
export const pipingOptions = (when: string): KindOption[] => [
  { id: 'cord', label: 'Cord', type: 'length', default: 'inch(1/4)', when, hint: 'the cord’s diameter' },
  {
    id: 'grain',
    label: 'Piping cut',
    type: 'choice',
    when,
    choices: [
      { id: 'bias', label: 'on the bias' },
      { id: 'straight', label: 'on straight grain' },
    ],
    default: 'bias',
  },
];

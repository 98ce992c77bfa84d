import type { Nm } from '../length';

/** How a cloth lets pieces turn: any quarter turn, half turns only (two-way cloth), or none (nap, one-way print). */
export type Turns = 'any' | 'half' | 'none';

export const TURN_ANGLES: Record<Turns, readonly number[]> = { any: [0, 90, 180, 270], half: [0, 180], none: [0] };

/** The pattern repeat: 0 across or along means no repeat in that direction; drop is the part of `along` (0 to under 1)
 * by which each next repeat across is shifted along: 0 a straight match, 0.5 a half drop. */
export interface Repeat {
  across: Nm;
  along: Nm;
  drop: number;
}

export const FIBRES = [
  'cotton',
  'linen',
  'wool',
  'silk',
  'mixed',
  'acrylic',
  'polyester',
  'fleece',
  'neoprene',
  'vinyl',
  'leather',
] as const;
export type Fibre = (typeof FIBRES)[number];
export const WEIGHTS = ['light', 'medium', 'heavy'] as const;
export type Weight = (typeof WEIGHTS)[number];
/** How a cloth gives: not at all (vinyl, oilcloth), a little (woven), or it stretches (knits, neoprene). */
export const GIVES = ['none', 'little', 'stretch'] as const;
export type Give = (typeof GIVES)[number];

/** Nature of a cloth under the hands; some mistakes show only when it is known. */
export interface ClothNature {
  fibre: Fibre;
  weight: Weight;
  give: Give;
}

/** The price of one yard, metre or sheet, or of a whole remnant, in minor units. */
export interface Price {
  minor: number;
  currency: string;
  per: 'yd' | 'm' | 'sheet' | 'whole';
}

/** A cloth as the lay and the costing need it. Lengths in nanometres, price in minor units for one unit of its price. */
export interface Cloth {
  name: string;
  width: Nm;
  selvage: [Nm, Nm];
  repeat: Repeat | null;
  turns: Turns;
  /** Where a point of the pattern lies: nm from the left edge and from the squared end; [0, 0] where it is left out. */
  motif?: [Nm, Nm];
  nature?: ClothNature;
  /** The part lost when it is washed before cutting, 0 to under 1; left out where it is cut unwashed. */
  shrinkage?: { across: number; along: number };
  /** Foam and board are cut edge to edge, with a saw or a knife along a ruler. */
  isCutStraight?: boolean;
  /** Thickness of a sheet (foam, board), nm. */
  thickness?: Nm;
  /** Length of a sheet (foam, board), nm; a price is then for one sheet. Length of a remnant that is priced whole. */
  sheetLength?: Nm;
  price: Price;
  sellingStep: Nm;
}

/** The width between the selvages. */
export const usableWidth = ({ width, selvage }: Pick<Cloth, 'width' | 'selvage'>): Nm =>
  width - selvage[0] - selvage[1];

/** A cloth as it is after the wash: narrower, its pattern smaller. Parts are what is lost, 0 to under 1 (common practice, no source). */
export function washed(cloth: Cloth, shrinkage: { across: number; along: number }): Cloth {
  const x = (length: Nm) => Math.round(length * (1 - shrinkage.across));
  const y = (length: Nm) => Math.round(length * (1 - shrinkage.along));
  const { repeat, motif, selvage } = cloth;
  return {
    ...cloth,
    shrinkage,
    width: x(cloth.width),
    selvage: [x(selvage[0]), x(selvage[1])],
    repeat: repeat && { ...repeat, across: x(repeat.across), along: y(repeat.along) },
    ...(motif && { motif: [x(motif[0]), y(motif[1])] }),
  };
}

import type { Nm } from '../length';
import type { CountedBy, NotionSort } from './material';

/** A notion of the catalogue, as far as it decides what an order takes. */
export interface NotionStock {
  id: number;
  name: string;
  sort: NotionSort;
  countedBy: CountedBy;
  /** How long a zip is and how high a pad (nm); null for everything else. */
  lengthNm: Nm | null;
  /** How wide a pad is (nm). */
  widthNm: Nm | null;
  /** The notions, as cover kinds name them, for which it is the workroom's usual one. */
  usualFor: readonly string[];
}

/** A cover's need, for the whole line. */
export interface NotionNeed {
  name: string;
  qty: number;
  /** Length of each, where it has one (nm). */
  length?: Nm | undefined;
  /** How wide and how high it must be at least (nm), of what is bought in sizes. */
  size?: [Nm, Nm] | undefined;
  /** About how much of it, where that is no measure (nm). */
  estimate?: Nm | undefined;
  /** The notion that its line names, in place of the workroom's usual one. */
  material?: number | undefined;
}

/** An order's need of a notion: nanometres of what is counted by its length, else pieces. Null: nothing of the catalogue is bound to it. */
interface BoundNotion {
  need: NotionNeed;
  material: NotionStock | null;
  quantity: number;
}

/**
 * Binds what a cover asks for to the workroom's usual notion, or to the one that a line names. Of zips it is the shortest that is long
 * enough, since coil is shortened and metal fits exactly; of pads the smallest that fills the form (common practice, no source).
 */
export function bindNotion(need: NotionNeed, stock: readonly NotionStock[]): BoundNotion {
  const own = need.material === undefined ? undefined : stock.find(({ id }) => id === need.material);
  const usual = stock.filter(({ usualFor }) => usualFor.includes(need.name));
  const zips = usual
    .filter(({ sort, lengthNm }) => sort === 'zip' && lengthNm !== null && lengthNm >= (need.length ?? 0))
    .sort((a, b) => a.lengthNm! - b.lengthNm! || a.id - b.id);
  const pads = usual
    .filter((pad) => pad.sort === 'pad' && fills(pad, need.size))
    .sort((a, b) => a.widthNm! * a.lengthNm! - b.widthNm! * b.lengthNm! || a.id - b.id);
  const inOneSize = usual.find(({ sort }) => sort !== 'zip' && sort !== 'pad');
  const material = own ?? zips[0] ?? pads[0] ?? inOneSize ?? null;
  if (!material) return { need, material: null, quantity: need.qty };
  const isLength = material.countedBy === 'length';
  return { need, material, quantity: isLength ? Math.ceil(need.qty * (need.length ?? need.estimate ?? 0)) : need.qty };
}

/** Whether a pad is as wide and as high as it must be, one way round or the other. */
function fills({ widthNm, lengthNm }: NotionStock, [wide, high]: [Nm, Nm] = [0, 0]): boolean {
  const [short, long] = [Math.min(widthNm!, lengthNm!), Math.max(widthNm!, lengthNm!)];
  return Math.min(wide, high) <= short && Math.max(wide, high) <= long;
}

/** The quantity that has to be bought: whole packs of what is sold in packs, whole steps of a length. */
export const roundedUp = (quantity: number, step: number): number =>
  step > 0 ? Math.ceil(quantity / step) * step : quantity;

import { latticeOf, phaseOf, type Cloth } from '../cloth';
import type { Nm } from '../length';
import type { Box, Point, StockLength } from '../lay';

/** A bolt or a remnant on the shelf, as a lay meets it. Lengths in nm as they were measured on the shelf, before any wash. */
export interface ShelfItem {
  id: number;
  /** The code on its label, which names it in a lay: B12 for a bolt, R7 for a remnant. */
  code: string;
  sort: 'bolt' | 'remnant';
  lot: string;
  width: Nm;
  selvage: [Nm, Nm];
  /** How long it was when it came. */
  received: Nm;
  /** The free part, neither cut nor reserved: the far end of it, since cutting begins at the squared end. */
  available: Nm;
  isOpened: boolean;
  /** It has been washed already and does not shrink again. */
  isWashed: boolean;
  /** Where a point of the pattern lay when it came: from the left edge and from the squared end. */
  motif: Point;
  /** Faults of the cloth as they were measured when it came. */
  flaws: Box[];
  /** The shape of an odd remnant, from its lower left corner; null where it is square. */
  outline: Point[] | null;
}

/** A length after the wash (nm, rounded down): what a lay can count on. */
export const afterWash = (length: Nm, shrinkage = 0): Nm => Math.floor(length * (1 - shrinkage));

/** The length (nm) that has to be taken so that so much is left after the wash: length / (1 - shrinkage), common practice, no source. */
export const beforeWash = (length: Nm, shrinkage = 0): Nm =>
  shrinkage > 0 ? Math.ceil(length / (1 - shrinkage)) : length;

/** The part of an item that is lost in the wash that is still before it. */
export const shrinkageOf = ({ isWashed }: Pick<ShelfItem, 'isWashed'>, { shrinkage }: Pick<Cloth, 'shrinkage'>) =>
  isWashed || !shrinkage ? { across: 0, along: 0 } : shrinkage;

/**
 * A length of cloth for a lay job: what is still there of an item. What was cut or is reserved lay at its squared end, so flaws, shape
 * and pattern are counted from where the next lay begins.
 */
export function stockLengthOf(item: ShelfItem, cloth: Pick<Cloth, 'repeat' | 'shrinkage'>): StockLength {
  const gone = item.received - item.available;
  const { across, along } = shrinkageOf(item, cloth);
  const x = (value: Nm) => Math.round(value * (1 - across));
  const y = (value: Nm) => Math.round((value - gone) * (1 - along));
  const flaws = item.flaws
    .map(([x0, y0, x1, y1]): Box => [x(x0), Math.max(0, y(y0)), x(x1), y(y1)])
    .filter(([, y0, , y1]) => y1 > y0);
  const lattice = latticeOf(cloth.repeat);
  const outline = item.outline && clipBelow(item.outline, gone).map(([px, py]): Point => [x(px), y(py)]);
  return {
    id: item.code,
    length: afterWash(item.available, along),
    left: x(item.selvage[0]),
    right: x(item.width) - x(item.selvage[1]),
    motif: lattice ? phaseOf(x(item.motif[0]), y(item.motif[1]), lattice) : [0, 0],
    flaws,
    outline: outline && outline.length >= 3 ? outline : null,
  };
}

/** The part of a simple ring above a height: clipped at the line (Sutherland and Hodgman, 1974). */
function clipBelow(ring: readonly Point[], height: Nm): Point[] {
  if (height <= 0) return [...ring];
  return ring.flatMap((to, i): Point[] => {
    const from = ring[(i + ring.length - 1) % ring.length]!;
    const crosses = from[1] < height !== to[1] < height;
    const at: Point = [from[0] + ((to[0] - from[0]) * (height - from[1])) / (to[1] - from[1] || 1), height];
    return [...(crosses ? [at.map(Math.round) as Point] : []), ...(to[1] >= height ? [to] : [])];
  });
}

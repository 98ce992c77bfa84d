import type { Nm } from '../../length';
import type { LayStrip, StockLength } from '../model/job';
import type { Point } from '../model/outline';

const ROOT2 = Math.SQRT2;

/** One strip copy that has to be cut: nanometres. */
export interface StripWant {
  strip: string;
  copy: number;
  width: Nm;
  length: Nm;
  loss: Nm;
  least: Nm;
}

interface BlockCut {
  strip: string;
  copy: number;
  length: Nm;
  outline: [Point, Point, Point, Point];
}

/** A rectangle of cloth that is cut up into strips; the cuts' corners are relative to its lower left corner. */
export interface StripBlock {
  width: Nm;
  height: Nm;
  cuts: BlockCut[];
}

/** No cut is worth a join that is shorter than twice what the join takes. */
const leastCut = ({ least, loss }: StripWant) => Math.max(least, 2 * loss, 1);

/** Nor is one cut that is shorter than it is wide: what is lacking by rounding alone is no strip to be joined on. */
export const leastUsefulCut = (want: StripWant) => Math.max(leastCut(want), want.width);

/** Length that n cuts lack of a strip by rounding alone (nm): no further cut is joined on for that. */
const ROUNDING = 100;

/**
 * The lengths of n cuts that join to the wanted length: each join takes `loss` once, so they sum to
 * length + (n - 1) * loss. `even` makes them alike, otherwise all but the last are as long as `most` allows and the
 * last takes the rest. None is under `least`, nor so short that it would bring hardly any length. Null when n cuts can't do it.
 */
export function cutLengths(want: StripWant, n: number, most: Nm, even: boolean): Nm[] | null {
  const total = want.length + (n - 1) * want.loss;
  if (n * most < total) return null;
  if (n === 1) return [Math.max(total, want.least)].filter((one) => one <= most);
  const least = Math.max(want.least, Math.min(most, leastUsefulCut(want)));
  if (least > most) return null;
  const rest = even ? Math.max(Math.ceil(total / n), least) : Math.max(total - (n - 1) * most, least);
  const full = even ? rest : Math.max(Math.ceil((total - rest) / (n - 1)), least);
  return [...Array.from({ length: n - 1 }, () => full), rest];
}

/**
 * How much of a strip (nm of its length) has to be cut at least from these lengths: what is wanted and a `loss` for each
 * join, of which there are the fewest where each cut is as long as can be.
 */
export function leastLength(strip: LayStrip, stock: readonly StockLength[]): Nm {
  const most = longestCut(strip.grain, stock);
  const cuts = fewestCuts({ ...strip, strip: strip.id, copy: 1 }, most) ?? 1;
  return strip.length + (cuts - 1) * strip.loss;
}

/** The longest cut (nm) with that grain that any of the lengths can give. */
export function longestCut(grain: LayStrip['grain'], stock: readonly StockLength[]): Nm {
  const across = Math.max(...stock.map(({ left, right }) => right - left));
  if (grain === 'along') return Math.max(...stock.map(({ length }) => length));
  return grain === 'across' ? across : longestBias(across);
}

/** The fewest cuts of at most `most` nm that join to the wanted length, or null when joins take all of a cut. */
export function fewestCuts(want: StripWant, most: Nm): number | null {
  if (want.length <= most) return 1;
  if (most <= want.loss) return null;
  return Math.ceil((want.length - want.loss) / (most - want.loss));
}

/** A straight cut as a block of its own: `across` runs along x, otherwise along y. */
export function straightBlock({ strip, copy, width }: StripWant, length: Nm, across: boolean): StripBlock {
  const [w, h] = across ? [length, width] : [width, length];
  return {
    width: w,
    height: h,
    cuts: [
      {
        strip,
        copy,
        length,
        outline: [
          [0, 0],
          [w, 0],
          [w, h],
          [0, h],
        ],
      },
    ],
  };
}

/** The longest 45-degree cut with upright ends in a cloth of usable width `width`: from edge to edge. */
export const longestBias = (width: Nm): Nm => Math.floor(width * ROOT2);

/**
 * The shortest block of the given width from which parallel 45-degree cuts give all the wanted strips. Neighbours step
 * width * sqrt(2) along the edge; cuts shorten in the two corner triangles and are used there down to the least length;
 * what is left of a cut goes to the next strip of the same width. The cuts end at the sides of the block, or with `isLying`
 * at its lower and upper edge, which suits a block that is wider than long. Null when the least length does not fit the width.
 * A block of width b and length l, as workrooms cut it (common practice, no source); the geometry is elementary.
 */
export function biasBlock(blockWidth: Nm, wants: readonly StripWant[], gap: Nm, isLying = false): StripBlock | null {
  const narrowest = Math.max(...wants.map((want) => Math.ceil(leastUsefulCut(want) / ROOT2)));
  // A lying block holds a cut's slanted end beside its least length.
  const end = isLying ? Math.max(...wants.map(({ width }) => width * ROOT2)) : 0;
  if (narrowest + end > blockWidth) return null;
  const fill = (length: Nm, cuts: BlockCut[] | null) =>
    isLying ? fillBias(length, blockWidth, wants, gap, cuts) : fillBias(blockWidth, length, wants, gap, cuts);
  const holds = (length: Nm) => fill(length, null).length === 0;
  let low = isLying ? narrowest - 1 : 0;
  let high = Math.max(blockWidth, narrowest);
  while (!holds(high)) {
    low = high;
    high *= 2;
    if (high > 1e15) return null;
  }
  for (let i = 0; i < 60 && high - low > 1000; i++) {
    const middle = Math.round((low + high) / 2);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  const cuts: BlockCut[] = [];
  fill(high, cuts);
  const block = blockOf(cuts, isLying);
  return { ...block, width: isLying ? Math.min(blockWidth, block.width) : blockWidth };
}

/**
 * Cuts from a rectangle of cloth as much of the wanted bias strips as it gives, with what is wanting of them then (each as a strip
 * that its joins count to). The cuts end at its sides, or with `isLying` at its lower and upper edge. Null when not even one
 * cut fits.
 */
export function biasFrom(
  width: Nm,
  height: Nm,
  wants: readonly StripWant[],
  gap: Nm,
  isLying: boolean,
): { block: StripBlock; rest: StripWant[] } | null {
  // Corners are rounded.
  const [w, h] = [width - 2, height - 2];
  const cuts: BlockCut[] = [];
  const rest = isLying ? fillBias(h, w, wants, gap, cuts) : fillBias(w, h, wants, gap, cuts);
  return cuts.length === 0 ? null : { block: trimmed(blockOf(cuts, isLying)), rest };
}

/** The cuts over the corner for a lying block, in the box from its lower left corner to their furthest ones. */
function blockOf(cuts: readonly BlockCut[], isLying: boolean): StripBlock {
  const turned = cuts.map((cut) => (isLying ? { ...cut, outline: overCorner(cut.outline) } : cut));
  const furthest = (axis: 0 | 1) =>
    turned.reduce((far, { outline }) => outline.reduce((most, corner) => Math.max(most, corner[axis]), far), 0);
  return { width: furthest(0), height: furthest(1), cuts: turned };
}

/** The same cuts in the least box round them. */
function trimmed({ width, height, cuts }: StripBlock): StripBlock {
  const nearest = (axis: 0 | 1) =>
    cuts.reduce(
      (near, { outline }) => outline.reduce((least, corner) => Math.min(least, corner[axis]), near),
      Infinity,
    );
  const [left, low] = [nearest(0), nearest(1)];
  const moved = (outline: BlockCut['outline']) =>
    outline.map(([x, y]): Point => [x - left, y - low]) as BlockCut['outline'];
  return {
    width: width - left,
    height: height - low,
    cuts: cuts.map((cut) => ({ ...cut, outline: moved(cut.outline) })),
  };
}

const overCorner = (outline: BlockCut['outline']) => outline.map(([x, y]): Point => [y, x]) as BlockCut['outline'];

/** Cuts the wanted strips from a block of b by l, band after band from the lower right corner, into `cuts`; returns what has no room there. */
function fillBias(b: Nm, l: Nm, wants: readonly StripWant[], gap: Nm, cuts: BlockCut[] | null): StripWant[] {
  let offset = Math.ceil(leastUsefulCut(wants[0]!) / ROOT2) - b; // the band's lower edge is y = x + offset
  let bandWidth = 0; // of the band in hand; 0 before the first
  let from = 0; // where the band is still free
  let to = 0;
  for (const [k, want] of wants.entries()) {
    const rise = want.width * ROOT2;
    const least = leastUsefulCut(want);
    // Each cut gives its length less a join's loss, but for one: n cuts have n - 1 joins.
    let missing = want.length - want.loss;
    for (let isFirst = true; isFirst || missing > ROUNDING;) {
      if (bandWidth !== want.width || (to - from) * ROOT2 < least) {
        if (bandWidth > 0) offset += (bandWidth + gap) * ROOT2;
        if (offset > l) {
          const started = missing < want.length - want.loss ? { ...want, length: missing + want.loss } : want;
          return [started, ...wants.slice(k + 1)];
        }
        bandWidth = want.width;
        from = Math.max(0, -offset);
        to = Math.min(b, l - offset - rise);
        continue;
      }
      const wanted = Math.max(Math.min(missing + want.loss, (to - from) * ROOT2), least);
      const end = Math.min(to, from + Math.ceil(wanted / ROOT2));
      cuts?.push(biasCut(want, from, end, offset, rise));
      missing -= Math.floor((end - from) * ROOT2) - want.loss;
      isFirst = false;
      from = end + gap;
    }
  }
  return [];
}

function biasCut({ strip, copy }: StripWant, from: Nm, to: Nm, offset: number, rise: number): BlockCut {
  const [a, b] = [Math.round(from), Math.round(to)];
  const [low, high] = [Math.round(from + offset), Math.round(from + offset + rise)];
  const climb = b - a;
  return {
    strip,
    copy,
    length: Math.round(climb * ROOT2),
    outline: [
      [a, low],
      [b, low + climb],
      [b, high + climb],
      [a, high],
    ],
  };
}

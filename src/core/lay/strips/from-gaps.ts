import type { Box } from '../model/box';
import type { Nm } from '../../length';
import { without } from '../geometry/free-boxes';
import type { StripSet } from '../model/parts';
import type { Random } from '../search/random';
import { biasBlock, biasFrom, leastUsefulCut, type StripBlock, type StripWant } from './strips';

/** A free rectangle on one of the lengths. */
export interface Gap {
  stock: number;
  box: Box;
}

/** A block of strips cut from a gap, its lower left corner at x, y. */
interface GapCut {
  stock: number;
  x: Nm;
  y: Nm;
  block: StripBlock;
}

/** How much chance has a say in which gap is cut up next, as a share of its area. */
const NOISE = 0.5;

/** The least side (nm) of a rectangle that a cut on the bias of any of these strips fits in. */
export const leastGap = (wants: readonly StripWant[]): Nm =>
  Math.floor(Math.min(...wants.map(leastUsefulCut)) / Math.SQRT2);

/**
 * Cuts strips on the bias from `most` gaps at most, large ones sooner than small ones; and what is wanting then. Each block
 * keeps `margin` nm on all sides, and its cuts `gap` nm between them.
 */
export function cutFromGaps(
  wants: readonly StripWant[],
  gaps: readonly Gap[],
  margin: Nm,
  gap: Nm,
  most: number,
  random: Random,
): { cuts: GapCut[]; rest: readonly StripWant[] } {
  const cuts: GapCut[] = [];
  const ranked = (stock: number, box: Box) => ({ stock, box, rank: areaOf(box) * (1 + NOISE * random.next()) });
  let free = gaps.map(({ stock, box }) => ranked(stock, box));
  let rest = wants;
  while (rest.length > 0 && free.length > 0 && cuts.length < most) {
    const next = free.reduce((one, other) => (other.rank > one.rank ? other : one));
    free = free.filter((one) => one !== next);
    const { stock, box } = next;
    const [x, y] = [box[0] + margin, box[1] + margin];
    const taken = biasIn(box[2] - margin - x, box[3] - margin - y, rest, gap);
    if (!taken) continue;
    const { block } = taken;
    rest = taken.rest;
    cuts.push({ stock, x, y, block });
    const own: Box = [box[0], box[1], x + block.width + margin, y + block.height + margin];
    free = [...free, next].flatMap((one) => {
      const left = one.stock === stock ? without(one.box, own) : [one.box];
      return left[0] === one.box ? [one] : left.map((some) => ranked(stock, some));
    });
  }
  return { cuts, rest };
}

const areaOf = ([x0, y0, x1, y1]: Box) => (x1 - x0) * (y1 - y0);

/** Yield of one gap: all that it has room for, or where that is all there is, in the least of it. */
function biasIn(width: Nm, height: Nm, wants: readonly StripWant[], gap: Nm): ReturnType<typeof biasFrom> {
  const both = [false, true].flatMap((isLying) => biasFrom(width, height, wants, gap, isLying) ?? []);
  if (both.length === 0) return null;
  const whole = both.filter(({ rest }) => rest.length === 0).map(({ block }) => block);
  if (whole.length > 0) {
    const shorter = [false, true].flatMap((isLying) => biasBlock(width, wants, gap, isLying) ?? []);
    const fitting = [...whole, ...shorter.filter((one) => one.width <= width && one.height <= height)];
    const block = fitting.reduce((one, other) => (areaOfBlock(other) < areaOfBlock(one) ? other : one));
    return { block, rest: [] };
  }
  const left = (some: readonly StripWant[]) => some.reduce((sum, one) => sum + one.length * one.width, 0);
  return both.reduce((one, other) => (left(other.rest) < left(one.rest) ? other : one));
}

const areaOfBlock = ({ width, height }: StripBlock) => width * height;

/** One more block for what gaps have no room for, as wide as any of the set's; null when there is none. */
export function restOfGaps({ ways }: StripSet, rest: readonly StripWant[], gap: Nm, random: Random): StripBlock | null {
  const [known] = ways[random.below(ways.length)]!;
  return biasBlock(known!.width, rest, gap, random.next() < 0.5);
}

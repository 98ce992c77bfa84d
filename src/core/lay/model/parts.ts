import type { Nm } from '../../length';
import type { LayJob, LayStrip, PieceMatch, StockLength } from './job';
import { areaOfPiece, type Point } from './outline';
import { roundedOut } from '../geometry/rounded-outline';
import {
  biasBlock,
  cutLengths,
  fewestCuts,
  leastUsefulCut,
  longestBias,
  longestCut,
  straightBlock,
  type StripBlock,
  type StripWant,
} from '../strips/strips';

/** A rectangle to be placed: one copy of a piece, or a block of cloth that is cut up into strips. */
export interface LayPart {
  width: Nm;
  height: Nm;
  /** The turns worth trying: 0, and 90 when it may lie the other way. */
  turns: readonly (0 | 90)[];
  match: PieceMatch | null;
  piece?: { id: string; copy: number };
  /** A piece that is not a rectangle: its outline (`roundedOut`), all its turns, and its true area (nm²). */
  outlines?: { ring: readonly Point[]; turns: readonly number[]; area: number };
  block?: StripBlock;
}

/** The job's pieces as parts, copy by copy. A half turn of a rectangle is the same place, so it is not tried. */
export function pieceParts(job: LayJob): LayPart[] {
  return job.pieces.flatMap(({ id, qty, width, height, turns, match, outline }) => {
    const outlines = outline && {
      ring: roundedOut(outline, width, height),
      turns,
      area: areaOfPiece({ outline, width, height }),
    };
    return Array.from({ length: qty }, (_, i): LayPart => ({
      width,
      height,
      turns: width !== height && turns.includes(90) ? (turns.includes(0) ? [0, 90] : [90]) : [0],
      match,
      piece: { id, copy: i + 1 },
      ...(outlines && { outlines }),
    }));
  });
}

/** One way of cutting some strips: the blocks to place. The search picks one way for each set of strips. */
type StripWay = StripBlock[];

/** How a set of strips is cut in a lay: one of its ways by number, or blocks that were made for the gaps between its pieces. */
export type ChosenWay = number | StripWay;

/** A set of strips that are cut together, with the ways to do it, best guess first. */
export interface StripSet {
  grain: LayStrip['grain'];
  wants: StripWant[];
  ways: StripWay[];
}

export const blocksOf = ({ ways }: StripSet, way: ChosenWay): StripWay => (typeof way === 'number' ? ways[way]! : way);

/** Nobody joins a strip from more cuts, and more in all would take all memory. */
const MOST_JOINED = 400;
const MOST_CUTS = 20_000;
const MOST_WAYS = 12;
/** Most bias strips for which a block of its own is tried: nobody would cut more that way, and trying takes seconds. */
const MOST_APART = 100;

/**
 * The strips as sets with their ways: across the cloth in full rows or even parts, along it in one or more even parts,
 * on the bias in blocks of the full width or a part of it, each strip in a block of its own or all in one. Strips that
 * no cut can be long enough for come back as `impossible` with the reason.
 */
export function stripSets(
  job: LayJob,
  expectedLength: Nm,
): { sets: StripSet[][]; impossible: { want: StripWant; why: string }[] } {
  const impossible: { want: StripWant; why: string }[] = [];
  const straight: StripSet[] = [];
  const bias: StripWant[] = [];
  // Mostly for the roll; all of the stock counts where only a wider or a longer piece of it can give a strip.
  const roll = job.stock.slice(-1);
  let biasFrom = roll;
  let cuts = 0;
  for (const strip of job.strips) {
    for (const want of wantsOf(strip)) {
      const from = whyNot(want, strip.grain, roll) ? job.stock : roll;
      const most = longestCut(strip.grain, from);
      const count = fewestCuts(want, most) ?? 0;
      const why =
        whyNot(want, strip.grain, from) ??
        (cuts + count > MOST_CUTS ? `a lay has at most ${MOST_CUTS} cuts of strips` : null);
      if (!why) cuts += count;
      if (why) impossible.push({ want, why });
      else if (strip.grain !== 'bias')
        straight.push({
          grain: strip.grain,
          wants: [want],
          ways: straightWays(want, most, expectedLength, strip.grain === 'across'),
        });
      else {
        bias.push(want);
        if (from !== roll) biasFrom = from;
      }
    }
  }
  const across = widest(biasFrom);
  if (bias.length === 0) return { sets: [straight], impossible };
  // Wider first, so that one block has one change of width for each width.
  const sorted = [...bias].sort((a, b) => b.width - a.width);
  const setOf = (some: StripWant[]): StripSet => ({
    grain: 'bias',
    wants: some,
    ways: biasWays(some, across, job.gap),
  });
  const together = setOf(sorted);
  const inOneBlock = [...straight, together];
  if (bias.length === 1 || bias.length > MOST_APART) return { sets: [inOneBlock], impossible };
  return { sets: [inOneBlock, [...straight, ...sorted.map((want) => setOf([want]))]], impossible };
}

const wantsOf = ({ id, qty, width, length, loss, least }: LayStrip): StripWant[] =>
  Array.from({ length: qty }, (_, i) => ({ strip: id, copy: i + 1, width, length, loss, least }));

const widest = (stock: readonly StockLength[]): Nm => Math.max(...stock.map(({ left, right }) => right - left));

function whyNot(want: StripWant, grain: LayStrip['grain'], stock: readonly StockLength[]): string | null {
  const most = longestCut(grain, stock);
  if (grain === 'along' && want.width > widest(stock)) return 'the strip is wider than the usable cloth';
  if (want.least > most) return 'its shortest cut is longer than any cut can be';
  const cuts = fewestCuts(want, most);
  if (cuts === null || (grain === 'bias' && 2 * want.loss > most)) return 'each join would take all of a cut';
  if (cuts > MOST_JOINED) return `it would be joined from ${cuts} cuts, and ${MOST_JOINED} are the most`;
  return null;
}

/** Even parts and full rows, from the fewest joins up; along the cloth also parts near the length the lay will have. */
function straightWays(want: StripWant, most: Nm, expected: Nm, across: boolean): StripWay[] {
  const fewest = fewestCuts(want, most) ?? 1;
  const limit = Math.max(fewest, Math.floor(want.length / leastUsefulCut(want)));
  const counts = across
    ? [fewest, fewest + 1, fewest + 2, fewest * 2]
    : [1, 2, 3, 4, 6, 8, 12]
        .flatMap((part) => [Math.ceil(want.length / Math.max(1, expected / part)), part])
        .sort((a, b) => a - b);
  const ways: StripWay[] = [];
  for (const n of new Set(counts.map((count) => Math.max(fewest, Math.min(limit, count))))) {
    // The longest cuts, with the rest from the last one, make sense for the fewest cuts alone.
    for (const even of across && n === fewest ? [false, true] : [true]) {
      const lengths = cutLengths(want, n, most, even);
      if (lengths && lengths.length === n && n <= MOST_JOINED)
        ways.push(lengths.map((length) => straightBlock(want, length, across)));
    }
  }
  return ways.slice(0, MOST_WAYS);
}

/** Parts of the usable width that bias blocks are made for. */
const BIAS_PARTS = [1, 1 / 2, 1 / 3, 2 / 3, 1 / 4, 3 / 4, 2 / 5, 3 / 5, 4 / 5, 1 / 5, 0.45, 0.55, 0.37, 0.85];
/** A block that takes so much more cloth than the best one is not worth a try. */
const WORTH = 1.4;

/** Blocks for strips on the bias, upright and lying, of the full usable width and of parts of it, the smallest of these first. */
export function biasWays(wants: StripWant[], across: Nm, gap: Nm): StripWay[] {
  const area = ({ width, height }: StripBlock) => width * height;
  const blocks = BIAS_PARTS.flatMap((part) =>
    [false, true].flatMap((isLying) => biasBlock(Math.floor(across * part), wants, gap, isLying) ?? []),
  ).sort((a, b) => area(a) - area(b));
  const worthy = blocks.filter((block) => area(block) <= WORTH * area(blocks[0]!));
  // Right across the cloth first: it leaves nothing beside it.
  const widest = Math.max(...worthy.map(({ width }) => width));
  return [...worthy.filter(({ width }) => width === widest), ...worthy.filter(({ width }) => width < widest)].map(
    (block) => [block],
  );
}

/** A bias strip cut in one piece round a tube, and the cloth (nm²) that it and parallel strips take. */
export interface Tube {
  side: Nm;
  tube: number;
  strips: number;
}

/**
 * The square that, sewn into a tube with its edges a strip's width aside, gives one strip of that length on the bias without
 * joins: length = side² / width, so side = sqrt(length × width). Null where it is wider than the usable width `across` (nm)
 * or takes no less cloth than the best block of parallel strips. Common practice of
 * quilting, without the tube's two seams.
 */
export function bestTube(want: StripWant, across: Nm, gap: Nm): Tube | null {
  const side = Math.ceil(Math.sqrt(want.length * want.width));
  const [strips] = biasWays([want], across, gap)
    .map(([block]) => block!.width * block!.height)
    .sort((a, b) => a - b);
  // One cut that is long enough has no joins to save.
  if (want.length <= longestBias(across)) return null;
  if (strips === undefined || side > across || side * side >= strips) return null;
  return { side, tube: side * side, strips };
}

export const blockPart = (block: StripBlock): LayPart => ({
  width: block.width,
  height: block.height,
  turns: [0],
  match: null,
  block,
});

import type { Nm } from '../../length';
import { wrap } from '../../cloth';
import { greatestCommon } from '../search/part-classes';

/** A way of crossing a line: how much of it the thing takes, and where on it the thing may start. */
interface Crossing {
  /** nm of the line that it takes. */
  side: Nm;
  /** nm at right angles to the line: so much of the cloth it is crossed. */
  cover: Nm;
  /**
   * It may only start at `first` plus whole multiples of `period` nm from the line's start; null: anywhere. Things that drift keep this
   * among themselves only: each line may move all of their starts together. One period for all of them.
   */
  starts: { first: Nm; period: Nm; drifts?: boolean } | null;
}

/** Copies of a thing that lines cross, each copy in one of its ways. */
export interface Crossed {
  qty: number;
  ways: readonly Crossing[];
}

/** Steps of a line, so fine that a line has no more: finer sizes are rounded down, which a bound may be. */
const FINEST = 3_000;
/** Steps of pricing at most (some tenths of a second), and how near to the programme's optimum a bound is good enough. */
const MOST_WORK = 1e7;
/** Most columns for one line whose starts are moved. */
const MOST_DRIFT = 1e6;
/** With more different things their area is nearly as good a bound, and the programme takes long. */
export const MOST_ROWS = 120;
const NEAR_ENOUGH = 1 - 2e-4;
const EPSILON = 1e-9;
/** Whole numbers that the prices are rounded to. */
const SCALE = 1e9;

/**
 * A proven lower bound (nm) of how much cloth, counted at right angles to lines of `length` nm, is needed to cross all the
 * things: the linear programme of Gilmore and Gomory (1961) in which every line holds a set of things side by side (the bar
 * relaxation), solved by column generation. `loose` nm² may be cut in any way. 0 when there are too many things to say, or one is narrower than a
 * step of the line. The prices are rounded to whole numbers
 * and the dearest line is found exactly, so the bound holds whatever the programme's arithmetic did. `known` nm are known to be
 * needed: it is 0 as soon as the programme can't prove more. `isOver` ends the programme early; what its prices prove by then still holds.
 */
export function barRelaxation(
  things: readonly Crossed[],
  loose: bigint,
  length: Nm,
  known: Nm = 0,
  isOver: () => boolean = () => false,
): Nm {
  const line = gridOf(things, length);
  const rows = things.length + (loose > 0n ? 1 : 0);
  if (rows === 0 || rows > MOST_ROWS || isTooFine(line)) return 0;
  const amounts = [...things.map(({ qty }) => qty), ...(loose > 0n ? [Number(loose)] : [])];
  const prices = pricesOf(line, amounts, things.length, known, isOver);
  if (!prices) return 0;
  return priced(line, things, loose, prices);
}

/** How many of the things one line holds at most, each in any number. */
export function mostAbreast(things: readonly Crossed[], length: Nm): number {
  const line = gridOf(things, length);
  if (isTooFine(line))
    return Math.floor(length / Math.min(...things.flatMap(({ ways }) => ways.map(({ side }) => side))));
  const { value } = dearest(
    line,
    line.ways.map(() => 1),
    0,
  );
  return Math.max(1, value);
}

/** The line in whole steps, with every way of each thing on it. */
interface Line {
  steps: number;
  step: Nm;
  ways: { thing: number; side: number; cover: Nm; first: number; period: number; drifts: boolean }[];
  /** By how many steps the starts of things that drift may be moved: up to so many. */
  drift: number;
}

function gridOf(things: readonly Crossed[], length: Nm): Line {
  const sizes = things.flatMap(({ ways }) =>
    ways.flatMap(({ side, starts }) => [side, ...(starts ? [starts.first, starts.period] : [])]),
  );
  const common = sizes.reduce(greatestCommon, length);
  const isFine = length / common <= FINEST;
  const step = isFine ? common : Math.ceil(length / FINEST);
  const steps = Math.ceil(length / step);
  const all = things.flatMap(({ ways }, thing) => ways.map((way) => ({ ...way, thing })));
  const period = all.find(({ starts }) => starts?.drifts)?.starts?.period ?? 0;
  // Moving the starts step by step takes long where the steps are fine: then what drifts may start anywhere, which a bound may say.
  const canDrift = period > 0 && isFine && steps * all.length * (period / step) <= MOST_DRIFT;
  return {
    steps,
    step,
    drift: canDrift ? period / step : 1,
    ways: all.map(({ thing, side, cover, starts }) => {
      const isKept = isFine && starts !== null && (canDrift || !starts.drifts);
      return {
        thing,
        side: Math.floor(side / step),
        cover,
        first: isKept ? starts.first / step : 0,
        period: isKept ? starts.period / step : 1,
        drifts: isKept && starts.drifts === true,
      };
    }),
  };
}

/** A line would hold any number of things that take no step. */
const isTooFine = ({ ways }: Line): boolean => ways.some(({ side }) => side === 0);

interface Filled {
  value: number;
  taken: number[];
  /** Steps with nothing on them. */
  empty: number;
}

/** The ways that are worth something, column by column, the narrowest first; `way` is the number of each among the line's ways. */
interface Worthy {
  way: Int32Array;
  side: Int32Array;
  /** It may start at this step and at every `period` steps from it. */
  first: Int32Array;
  period: Int32Array;
  value: Float64Array;
}

/** The dearest set of things on a line: `values` by way, `perStep` for a step with nothing on it. */
function dearest(line: Line, values: readonly number[], perStep: number): Filled {
  const { ways, steps } = line;
  const worthy = [...ways.keys()].filter((i) => values[i]! > 0).sort((i, k) => ways[i]!.side - ways[k]!.side);
  const used: Worthy = {
    way: Int32Array.from(worthy),
    side: Int32Array.from(worthy, (i) => ways[i]!.side),
    first: Int32Array.from(worthy, (i) => wrap(ways[i]!.first, ways[i]!.period)),
    period: Int32Array.from(worthy, (i) => ways[i]!.period),
    value: Float64Array.from(worthy, (i) => values[i]!),
  };
  const reached = { best: new Float64Array(steps + 1), choice: new Int32Array(steps + 1) };
  let best = filledOf(used, reached, dearestAt(used, reached, perStep));
  for (let moved = 1; moved < line.drift; moved++) {
    for (let k = 0; k < worthy.length; k++)
      if (ways[worthy[k]!]!.drifts) used.first[k] = (used.first[k]! + 1) % used.period[k]!;
    const value = dearestAt(used, reached, perStep);
    if (value > best.value) best = filledOf(used, reached, value);
  }
  return best;
}

/** Best value up to each step, and the one of `used` that ends there; -1 for nothing. */
interface Reached {
  best: Float64Array;
  choice: Int32Array;
}

/** The same by dynamic programming, for ways whose starts stay where they are: what the line is worth. */
function dearestAt({ side, first, period, value }: Worthy, { best, choice }: Reached, perStep: number): number {
  const steps = best.length - 1;
  best.fill(0);
  choice.fill(-1);
  const next = first.slice();
  for (let at = 0; at <= steps; at++) {
    let here = best[at]!;
    if (at > 0) {
      const skipped = best[at - 1]! + perStep;
      if (skipped > here || choice[at] === -1) {
        best[at] = here = skipped;
        choice[at] = -1;
      }
    }
    for (let k = 0; k < side.length; k++) {
      const end = at + side[k]!;
      if (end > steps) break;
      if (at < next[k]!) continue;
      next[k]! += period[k]!;
      const worth = here + value[k]!;
      if (worth > best[end]!) {
        best[end] = worth;
        choice[end] = k;
      }
    }
  }
  return best[steps]!;
}

/** Things on the line, read from its end. */
function filledOf({ way, side }: Worthy, { choice }: Reached, value: number): Filled {
  const taken: number[] = [];
  let empty = 0;
  for (let at = choice.length - 1; at > 0;) {
    const k = choice[at]!;
    if (k === -1) {
      empty++;
      at--;
    } else {
      taken.push(way[k]!);
      at -= side[k]!;
    }
  }
  return { value, taken, empty };
}

/**
 * The dual prices of the programme: for a copy of each thing, and last for a nm² of what is loose. Null when lines of a known
 * length are enough for all, so that no prices prove more.
 */
function pricesOf(
  line: Line,
  amounts: readonly number[],
  things: number,
  known: Nm,
  isOver: () => boolean,
): Float64Array | null {
  const { ways, steps, step } = line;
  const m = amounts.length;
  const hasLoose = m > things;
  // The first basis: each thing alone on its lines.
  const inverse = Array.from({ length: m }, () => new Float64Array(m));
  const level = new Float64Array(m);
  for (let r = 0; r < m; r++) {
    const own = ways.map(({ thing, cover }) => (thing === r ? 1 / cover : 0));
    const alone = r < things ? dearest(line, own, 0).value || Math.max(...own) : steps * step;
    inverse[r]![r] = 1 / alone;
    level[r] = amounts[r]! / alone;
  }
  const costs = new Float64Array(m).fill(1);
  const prices = new Float64Array(m);
  // Keep the prices on the way that prove most (Farley 1990, from memory: the worth of all over the dearest line).
  const proving = new Float64Array(m);
  let proven = 0;
  for (let work = 0; work < MOST_WORK && !isOver(); work += steps * ways.length * line.drift + m * m) {
    prices.fill(0);
    let needed = 0;
    for (let r = 0; r < m; r++) {
      if (costs[r] === 0) continue;
      needed += level[r]!;
      for (let k = 0; k < m; k++) prices[k]! += inverse[r]![k]!;
    }
    if (needed <= known / NEAR_ENOUGH) return null;
    const entering = new Float64Array(m);
    let cost = 0;
    const negative = prices.findIndex((price, r) => price * amounts[r]! < -1);
    if (negative >= 0) entering[negative] = -1;
    else {
      const values = ways.map(({ thing, cover }) => prices[thing]! / cover);
      const found = dearest(line, values, hasLoose ? prices[things]! * step : 0);
      if (needed / found.value > proven) {
        proven = needed / found.value;
        for (let r = 0; r < m; r++) proving[r] = Math.max(0, prices[r]!);
      }
      if (found.value <= 1 / NEAR_ENOUGH) break;
      for (const i of found.taken) entering[ways[i]!.thing]! += 1 / ways[i]!.cover;
      if (hasLoose) entering[things] = found.empty * step;
      cost = 1;
    }
    const filled = [...entering.keys()].filter((k) => entering[k] !== 0);
    const change = inverse.map((row) => {
      let sum = 0;
      for (const k of filled) sum += row[k]! * entering[k]!;
      return sum;
    });
    let leaving = -1;
    let ratio = Infinity;
    for (let r = 0; r < m; r++) {
      if (change[r]! <= EPSILON) continue;
      const one = level[r]! / change[r]!;
      if (one < ratio) [ratio, leaving] = [one, r];
    }
    if (leaving < 0) break;
    pivot(inverse, level, change, leaving);
    costs[leaving] = cost;
  }
  return proving;
}

function pivot(inverse: Float64Array[], level: Float64Array, change: readonly number[], leaving: number) {
  const row = inverse[leaving]!;
  const by = change[leaving]!;
  for (let k = 0; k < row.length; k++) row[k]! /= by;
  level[leaving]! /= by;
  const filled = [...row.keys()].filter((k) => row[k] !== 0);
  inverse.forEach((other, r) => {
    const factor = change[r]!;
    if (r === leaving || factor === 0) return;
    for (const k of filled) other[k]! -= factor * row[k]!;
    level[r]! = Math.max(0, level[r]! - factor * level[leaving]!);
  });
}

/** The bound that prices prove: what all things are worth over what the dearest line is worth, in whole numbers. */
function priced(line: Line, things: readonly Crossed[], loose: bigint, prices: Float64Array): Nm {
  const { ways, step } = line;
  const most = Math.max(...ways.map(({ thing, cover }) => prices[thing]! / cover), (prices[things.length] ?? 0) * step);
  if (!(most > 0)) return 0;
  const scale = SCALE / most;
  const values = ways.map(({ thing, cover }) => Math.floor((prices[thing]! / cover) * scale));
  const perStep = loose > 0n ? Math.floor(prices[things.length]! * step * scale) : 0;
  const { value } = dearest(line, values, perStep);
  let worth = 0n;
  things.forEach(({ qty }, thing) => {
    const each = ways.flatMap((way, i) => (way.thing === thing ? [BigInt(values[i]!) * BigInt(way.cover)] : []));
    worth += BigInt(qty) * each.reduce((least, one) => (one < least ? one : least));
  });
  // A whole step with nothing on it takes step nm times the nm at right angles.
  const total = worth * BigInt(step) + BigInt(perStep) * loose;
  return value > 0 ? Number(total / (BigInt(step) * BigInt(value))) : 0;
}

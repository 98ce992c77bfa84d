import type { Nm } from '../../length';
import type { LayJob, LayPiece } from '../model/job';
import { wrap } from '../../cloth';
import { phaseChainBound, waitBefore, waitBehind, type Link } from './phase-chains';
import { barRelaxation, MOST_ROWS, mostAbreast, type Crossed } from './bar-relaxation';
import { areaOfPiece, girthIfConvex } from '../model/outline';
import { leastLength } from '../strips/strips';

/** A thing with an area that must come off the cloth: its width and height as it may lie, with its copies. */
interface Load {
  qty: number;
  /** The ways it may lie: [width, height] nm. */
  ways: [Nm, Nm][];
  /** nm² that it takes with half the gap all round (`areaWithGap`); a strip's joins more are left out. */
  area: bigint;
  /** False for outlines, whose boxes may reach into each other: only area and height count of them. */
  isBox: boolean;
  /** True for what need not lie on whole nanometres: bias and outlines. */
  isBent: boolean;
}

/** How many copies of each piece and strip, by id. */
export interface Placed {
  pieces: Map<string, number>;
  strips: Map<string, number>;
}

/**
 * A proven lower bound (nm) of the length that the placed copies use, over all lays together. The best of
 * - the area over the widest usable width, both with half the gap all round (`areaWithGap`),
 * - the tallest copy,
 * - dual feasible functions on the widths (Fekete and Schepers 2001, from memory): each maps widths so that any row
 *   that fits still fits, hence the sum of mapped width times height over the width is a bound; the simplest of them
 *   says that pieces wider than half the cloth lie one behind the other,
 * - how many rows are needed of what is so wide that only a few lie abreast (`byRows`),
 * - pieces that the pattern keeps from lying beside each other, with the repeats they wait for (`phaseChainBound`).
 * `placed` says how many copies of each piece and strip (by id) lie on the cloth.
 */
export function lowerBound(job: LayJob, placed: Placed): Nm {
  const width = Math.max(...job.stock.map(({ left, right }) => right - left));
  const { gap } = job;
  const loads: Load[] = job.pieces.map((piece) => ({
    qty: placed.pieces.get(piece.id) ?? 0,
    ways: waysOf(piece.width, piece.height, piece.turns),
    area: areaWithGap(piece, gap),
    isBox: piece.outline === null,
    isBent: piece.outline !== null,
  }));
  const stripLoads: Load[] = job.strips.map((strip) => {
    const { id, width: w, grain } = strip;
    const length = leastLength(strip, job.stock);
    return {
      qty: placed.strips.get(id) ?? 0,
      // A strip along the cloth takes its width over at least its length; the others may be cut to any length.
      ways: grain === 'along' ? [[w, length]] : [],
      area: areaOfStrip(w, length, gap),
      isBox: grain === 'along',
      isBent: grain === 'bias',
    };
  });
  const all = [...loads, ...stripLoads].filter(({ qty }) => qty > 0);
  if (all.length === 0) return 0;

  const rounded = all.some(({ isBent }) => isBent);
  const byArea =
    quotient(
      sum(all, ({ area, qty }) => area * BigInt(qty)),
      BigInt(width + gap),
      rounded,
    ) -
    job.stock.length * gap;
  const tallest = Math.max(
    0,
    ...loads
      .filter(({ qty }) => qty > 0)
      .map(({ ways }) => Math.min(...ways.filter(([w]) => w <= width).map(([, h]) => h))),
  );
  const byWidths = job.stock.length > 1 ? 0 : dualFeasible(all, width, gap);
  const byChains = phaseChainBound(
    job,
    job.pieces.flatMap(({ id, width: w, height: h, turns, outline, match }) => {
      const ways = waysOf(w, h, turns).filter(([across]) => across <= width);
      if (outline || ways.length === 0) return [];
      const [widths, heights] = [ways.map(([across]) => across), ways.map(([, along]) => along)];
      return [{ qty: placed.pieces.get(id) ?? 0, width: Math.min(...widths), height: Math.min(...heights), match }];
    }),
  );
  // Strips may be cut into several lengths that lie beside each other.
  const inRows = byRows(
    loads.filter(({ qty }) => qty > 0),
    width,
    gap,
    job.stock.length,
  );
  return Math.max(0, byArea, Number.isFinite(tallest) ? tallest : 0, byWidths, byChains, inRows);
}

/** A number (nm²) as a whole one that is surely not more. */
const surely = (area: number): bigint => BigInt(Math.floor(area * (1 - 1e-12)));

/**
 * The least area (nm²) of all that lies within half the gap of a piece. Two pieces that keep the gap, be it slantwise from
 * corner to corner, share none of it. Of a convex piece it is that of Steiner's formula (a rectangle's four corners are quarter
 * circles), of others at least what the inequality of Brunn and Minkowski says.
 */
function areaWithGap({ outline, width, height }: LayPiece, gap: Nm): bigint {
  const around = surely((Math.PI / 4) * gap ** 2);
  if (!outline) return BigInt(width) * BigInt(height) + BigInt(gap) * BigInt(width + height) + around;
  const area = areaOfPiece({ outline, width, height });
  const girth = girthIfConvex(outline) ?? 2 * Math.sqrt(Math.PI * area);
  return surely(area + (girth * gap) / 2) + around;
}

/** The same for a strip of which so much length is cut, in any number of cuts: each has half the gap at its two long edges and its ends. */
const areaOfStrip = (width: Nm, length: Nm, gap: Nm): bigint => BigInt(width + gap) * BigInt(length);

/** over / under in whole nanometres: rounded up where everything lies on whole nanometres, down where it may not. */
const quotient = (over: bigint, under: bigint, isRoundedDown: boolean): Nm =>
  Number((isRoundedDown ? over : over + under - 1n) / under);

const sum = <T>(things: readonly T[], value: (thing: T) => bigint): bigint =>
  things.reduce((total, thing) => total + value(thing), 0n);

function waysOf(w: Nm, h: Nm, turns: readonly number[]): [Nm, Nm][] {
  return turns.some((turn) => turn % 180 === 90) && w !== h
    ? [
        [w, h],
        [h, w],
      ]
    : [[w, h]];
}

/** Minimum share of the area for a group to get its own linear programme, and the most groups that get one. */
const DRIFTING_SHARE = 0.2;
const MOST_DRIFTING = 2;

/**
 * A proven lower bound (nm) that often is better than `lowerBound` and takes longer, up to some tenths of a second: what
 * lines across the cloth can hold side by side (`barRelaxation`). Pieces whose pattern is fixed start only where it does, when
 * there is one length of cloth; the largest match groups are looked at one by one, since each of them has its own phase.
 * Outlines, bias and cuts across count by their area. Pieces that one line crosses keep the
 * whole gap along it; what they take of the gap at their two other edges counts as area. 0 as soon as it can't prove more than the `known` bound (nm). `isOver` is asked
 * between the programmes and within them: once it is true what has been proven so far is the bound.
 */
export function barBound(job: LayJob, placed: Placed, known: Nm = 0, isOver: () => boolean = () => false): Nm {
  let best = barBoundOf(job, placed, known, undefined, isOver);
  const better = (bound: Nm) => (best = Math.max(best, bound));
  for (const group of largestGroups(job, placed)) {
    if (isOver()) break;
    better(waitingBound(job, placed, Math.max(known, best), group, isOver));
    if (group !== null || job.stock.length > 1) better(barBoundOf(job, placed, Math.max(known, best), group, isOver));
  }
  return best > known ? best : 0;
}

/** The match groups that have most of the area, by name; null is what is fixed to the pattern. */
function largestGroups({ pieces, lattice }: LayJob, { pieces: copies }: Placed): (string | null)[] {
  if (!lattice || lattice.across === 0) return [];
  const areas = new Map<string | null, number>();
  let all = 0;
  for (const { id, width, height, match, outline } of pieces) {
    const area = width * height * (copies.get(id) ?? 0);
    all += area;
    if (match && !outline) areas.set(match.group, (areas.get(match.group) ?? 0) + area);
  }
  return [...areas]
    .filter(([, area]) => area >= DRIFTING_SHARE * all)
    .sort(([, one], [, other]) => other - one)
    .slice(0, MOST_DRIFTING)
    .map(([group]) => group);
}

/**
 * Where on a line across the cloth the pieces of a match may start: those that are fixed where the pattern does, on one length; those of
 * the `drifting` group (null: what is fixed, where each length has its own motif point) as far from each other as the pattern asks.
 */
function startsOf({ lattice, stock }: LayJob, match: LayPiece['match'], drifting: string | null | undefined) {
  const period = lattice?.across ?? 0;
  if (!match || period === 0) return null;
  const shift = match.offset[0] - match.anchor[0];
  if (match.group === null && stock.length === 1)
    return { first: wrap(shift + stock[0]!.motif[0] - stock[0]!.left, period), period };
  return match.group === drifting ? { first: wrap(shift, period), period, drifts: true } : null;
}

/**
 * Need of one group by itself (nm), in rows of as many as may lie abreast: where two of its pieces share a part across, one
 * begins behind the other where the pattern comes again, so each has the cloth up to there to itself, as far as the group goes.
 */
function waitingBound(job: LayJob, placed: Placed, known: Nm, group: string | null, isOver: () => boolean): Nm {
  const { gap, stock } = job;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const links = job.pieces.flatMap(({ id, width, height, match, outline }): Link[] => {
    const qty = placed.pieces.get(id) ?? 0;
    return match && !outline && match.group === group && qty > 0 ? [{ qty, width, height, match }] : [];
  });
  if (links.length > MOST_ROWS) return 0;
  const waits = links.map((link) => waitBehind(job, link, links));
  const last = waits.reduce((most, wait) => Math.max(most, wait), 0);
  if (last === 0) return 0;
  const things = links.map(({ qty, width, height, match }, i): Crossed => ({
    qty,
    ways: [{ side: width, cover: height + gap + waits[i]!, starts: startsOf(job, match, group) }],
  }));
  // The last row of a length waits for nothing, and a fixed one begins where the pattern does.
  const more = Math.min(...links.map((link) => waitBefore(job, link))) - stock.length * (gap + last);
  const bound = barRelaxation(things, 0n, usable, known - more, isOver);
  const inRows = rowsNeeded(
    things.map(({ qty, ways }) => ({ qty, height: ways[0]!.cover })),
    mostAbreast(things, usable),
  );
  return Math.max(bound, inRows) + more;
}

/**
 * Least length of things (nm) where no line crosses more than `abreast` of them: as intervals along the cloth they can be sorted
 * into so many columns in which none meets another, and one column has its share of them. It may be that of the lowest ones.
 */
function rowsNeeded(things: readonly { qty: number; height: Nm }[], abreast: number): Nm {
  let rows = Math.ceil(things.reduce((count, { qty }) => count + qty, 0) / abreast);
  let length = 0;
  for (const { qty, height } of [...things].sort((one, other) => one.height - other.height)) {
    length += Math.min(rows, qty) * height;
    rows -= Math.min(rows, qty);
  }
  return length;
}

/** The rows that pieces need which are at least so wide (nm) that only a few of them lie abreast: the best of all such widths. */
function byRows(pieces: readonly Load[], usable: Nm, gap: Nm, lengths: number): Nm {
  const boxes = pieces.flatMap(({ qty, ways, isBox }) => {
    const fitting = ways.filter(([w]) => w <= usable);
    if (!isBox || fitting.length === 0) return [];
    return [{ qty, width: Math.min(...fitting.map(([w]) => w)), height: Math.min(...fitting.map(([, h]) => h)) + gap }];
  });
  const widths = [...new Set(boxes.map(({ width }) => width))].sort((a, b) => b - a).slice(0, MOST_THRESHOLDS);
  const needs = widths.map((least) => {
    const wide = boxes.filter(({ width }) => width >= least);
    // Corner to corner two of them may keep the gap slantwise: only without it they surely lie beside each other.
    return rowsNeeded(wide, Math.floor(usable / least)) - lengths * gap;
  });
  return Math.max(0, ...needs);
}

/** The same for one `drifting` group (null: what is fixed), or for none. */
function barBoundOf(
  job: LayJob,
  placed: Placed,
  known: Nm,
  drifting: string | null | undefined,
  isOver: () => boolean,
): Nm {
  const { gap, stock } = job;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const things: Crossed[] = [];
  let loose = 0n;
  let isBent = false;
  for (const piece of job.pieces) {
    const { id, width, height, turns, outline, match } = piece;
    const qty = placed.pieces.get(id) ?? 0;
    if (qty === 0) continue;
    const area = areaWithGap(piece, gap);
    if (outline) {
      loose += area * BigInt(qty);
      isBent = true;
      continue;
    }
    const starts = startsOf(job, match, drifting);
    const ways = waysOf(width, height, turns).filter(([w]) => w <= usable);
    things.push({ qty, ways: ways.map(([w, h]) => ({ side: w + gap, cover: h, starts })) });
    const most = Math.max(...ways.map(([, h]) => h));
    const rest = area - BigInt(width) * BigInt(height) - BigInt(gap) * BigInt(most);
    loose += rest * BigInt(qty);
  }
  for (const strip of job.strips) {
    const qty = placed.strips.get(strip.id) ?? 0;
    const length = leastLength(strip, stock);
    if (qty === 0) continue;
    if (strip.grain === 'along') {
      things.push({ qty, ways: [{ side: strip.width + gap, cover: length, starts: null }] });
    } else {
      loose += areaOfStrip(strip.width, length, gap) * BigInt(qty);
      isBent = true;
    }
  }
  const bound = barRelaxation(things, loose, usable + gap, known + stock.length * gap, isOver) - stock.length * gap;
  // Corners of a bent part need not lie on whole nanometres.
  return Math.max(0, bound - (isBent ? 1 : 0));
}

const MOST_THRESHOLDS = 60;
const MOST_PARTS = 12;

/**
 * The best bound from the families f(x) = (x > W - e ? W : x < e ? 0 : x) and u_k (rounding to k parts), in exact
 * whole numbers: a mapped width is given as a multiple of 1/k. What lies beside each other keeps the whole gap across.
 */
function dualFeasible(loads: Load[], usable: Nm, gap: Nm): Nm {
  const width = usable + gap;
  const shaped = loads.filter(({ isBox }) => isBox);
  const bound = (k: number, f: (x: number) => number) => {
    const total = sum(shaped, ({ ways, qty }) => {
      const fitting = ways.filter(([w]) => w <= usable).map(([w, h]) => BigInt(f(w + gap)) * BigInt(h));
      return fitting.reduce((least, one) => (one < least ? one : least), fitting[0] ?? 0n) * BigInt(qty);
    });
    return quotient(total, BigInt(width) * BigInt(k), false);
  };
  const thresholds = [...new Set(shaped.flatMap(({ ways }) => ways.flatMap(([w]) => [w + gap, width - w - gap])))]
    .filter((e) => e > 0 && e <= width / 2)
    .sort((a, b) => a - b);
  const stride = Math.max(1, Math.ceil(thresholds.length / MOST_THRESHOLDS));
  let best = 0;
  for (let i = 0; i < thresholds.length; i += stride) {
    const e = thresholds[i]!;
    best = Math.max(
      best,
      bound(1, (x) => (x > width - e ? width : x < e ? 0 : x)),
    );
  }
  // Widths over half the cloth can't lie side by side; two of just half can.
  best = Math.max(
    best,
    bound(2, (x) => (2 * x > width ? 2 * width : 2 * x === width ? width : 0)),
  );
  for (let k = 1; k <= MOST_PARTS; k++) {
    best = Math.max(
      best,
      bound(k, (x) => (((k + 1) * x) % width === 0 ? k * x : Math.floor(((k + 1) * x) / width) * width)),
    );
  }
  return best;
}

import { missAcross, nextAcross, nextAlong, phaseOf } from '../cloth';
import { toUnits, type Nm } from '../length';
import { ok, refuse, type Result } from '../result';
import { barBound, lowerBound, type Placed } from './bounds/bounds';
import { findFaults, type PlanFault } from './check/check';
import { endlessOf, hasLocks, type LayJob, type LayPiece } from './model/job';
import { bestOf } from './search/compare-plans';
import { restOf, withLocked, withoutLocked } from './search/locked';
import { asShared } from './search/as-shared';
import { turnOutline, type Point } from './model/outline';
import { pieceParts, stripSets, type LayPart } from './model/parts';
import type { Lay, LayPlan, StripCut, Unplaced } from './model/plan';
import type { Found, Exchange } from './search/context';
import { search } from './search/search';
import type { StripWant } from './strips/strips';

/** How a nesting is run. Without `clock` it is bounded by `steps` alone and is deterministic for the job's seed. */
export interface NestOptions {
  /** Milliseconds of any steady clock; needed to search by time. */
  clock?: () => number;
  /** At most so many passes over the whole lay. */
  steps?: number;
  /** Seconds and seed in place of the job's. */
  seconds?: number;
  seed?: number;
  /** Which of several searches over the same job this is (0, 1, …): each starts with another strategy. */
  worker?: number;
  /** A valid plan of the job to go on from: the result is never longer. */
  start?: LayPlan;
  /** Asked between passes, with their number so far: true ends the search with the best lay so far. */
  isCancelled?: (passes: number) => boolean;
  onProgress?: (progress: NestProgress) => void;
  /** With a clock: told with the progress of each better plan, which nothing has checked yet. */
  onBetter?: (plan: LayPlan) => void;
  /** The other workers of the same search: better lays are published to them and received from them. Not deterministic. */
  exchange?: Exchange;
}

export interface NestProgress {
  /** 0 to 1. */
  done: number;
  /** Used length of the best lay so far, and the length proven of the pieces that lie in it; 0 before the first lay. */
  used: Nm;
  bound: Nm;
  /** Parts that the best lay so far leaves out. */
  unplaced: Unplaced[];
  /** Placements of the best lay so far, when it is another than in the last report. */
  sketch?: LaySketch;
}

/** A lay in outlines (nm), all its lengths one behind the other along the cloth. */
interface LaySketch {
  /** From edge to edge of the widest usable cloth. */
  width: Nm;
  rings: { isStrip: boolean; ring: Point[] }[];
}

const STEPS_WITHOUT_CLOCK = 2_000;
const PROGRESS_EVERY_MS = 100;

/**
 * Lays the job's pieces and strips on its cloth: the one door of the engine. Returns a plan that its own independent
 * check has found valid, with a proven lower bound. Refuses only a plan to start from that is not valid.
 */
export function nest(job: LayJob, options: NestOptions = {}): Result<LayPlan> {
  const { start } = options;
  const [fault] = start ? findFaults(job, start) : [];
  if (fault) return refuse('start', 'start', `The plan to go on from can’t be cut: ${fault.what}.`);
  const plan = hasLocks(job) ? laidRound(job, options) : laid(job, options);
  if (hasLocks(job)) refuseFaulty(findFaults(job, plan));
  return ok(start ? bestOf([plan, start]) : plan);
}

function refuseFaulty([fault]: readonly PlanFault[]) {
  if (fault) throw new Error(`The lay engine made an invalid plan: ${fault.what}`);
}

/** Number of the last better lays that are kept, beside the first one. */
const KEPT = 8;

/** A plan of a job with locked pieces: of the rest, and what is locked with it. */
function laidRound(job: LayJob, options: NestOptions): LayPlan {
  const { onBetter, start, ...others } = options;
  const whole = (plan: LayPlan) => withLocked(job, plan);
  const rest = withoutLocked(job);
  const from = start ? restOf(job, rest, start) : null;
  const plan = whole(
    laid(rest, {
      ...others,
      ...(from && { start: from }),
      ...(onBetter && { onBetter: (better) => onBetter(whole(better)) }),
    }),
  );
  return { ...plan, bound: Math.min(plan.used, Math.max(plan.bound, lowerBound(job, placedCopies(plan.lays)))) };
}

/** A plan of a job without locked pieces: the best lay that the independent check finds valid. */
function laid(job: LayJob, options: NestOptions): LayPlan {
  const start = options.clock?.() ?? 0;
  const { pieces, unplaced } = sortOut(job);
  const fitting = new Map(job.pieces.map(({ id }) => [id, 0]));
  for (const { piece } of pieces) fitting.set(piece!.id, fitting.get(piece!.id)! + 1);
  const placeable = {
    pieces: fitting,
    strips: new Map(job.strips.map(({ id, qty }) => [id, qty])),
  };
  let bound = lowerBound(job, placeable);
  const { sets, impossible } = stripSets(job, bound);
  for (const { want, why } of impossible) {
    unplaced.push({ strip: want.strip, copy: want.copy, why });
    placeable.strips.set(want.strip, placeable.strips.get(want.strip)! - 1);
  }
  if (impossible.length > 0) bound = lowerBound(job, placeable);

  const better: Found[] = [];
  let passes = 0;
  // The better bound is for all that could be placed; the quick one is for what was.
  const boundOf = (placed: Placed) => (isSame(placed, placeable) ? bound : lowerBound(job, placed));
  const planOf = (found: Found | null) => toPlan(job, found, unplaced, boundOf);
  if (pieces.length + sets.flat().length > 0) {
    const limits = limitsOf(job, options, start, () => ({ best: better.at(-1) ?? null, bound }), planOf);
    passes = search(job, pieces, sets, {
      ...limits,
      ...(options.start && { start: asShared(job, pieces, sets, options.start) }),
      target: bound,
      sharpen: () =>
        (bound = Math.max(
          bound,
          barBound(job, placeable, bound, () => limits.isOver(0)),
        )),
      onBetter: (found) => {
        if (better.length > KEPT) better.splice(1, 1);
        better.push(found);
      },
    });
  }
  for (let refused = 0; ; refused++) {
    const plan = { ...planOf(better.pop() ?? null), passes, refused };
    const faults = findFaults(job, plan);
    if (faults.length === 0) return plan;
    if (better.length === 0) refuseFaulty(faults);
  }
}

function limitsOf(
  job: LayJob,
  options: NestOptions,
  start: number,
  known: () => { best: Found | null; bound: Nm },
  planOf: (found: Found) => Omit<LayPlan, 'passes' | 'refused'>,
) {
  const { clock, isCancelled, onProgress, onBetter } = options;
  const seconds = options.seconds ?? job.search.seconds;
  const steps = options.steps ?? (clock ? Infinity : STEPS_WITHOUT_CLOCK);
  let reportedAt = start;
  let drawn: Found | null = null;
  let bestPlan: ReturnType<typeof planOf> | null = null;
  return {
    seed: options.seed ?? job.search.seed,
    worker: options.worker ?? 0,
    ...(options.exchange && { exchange: options.exchange }),
    isOver: (passes: number) => {
      if (passes >= steps || isCancelled?.(passes)) return true;
      if (!clock) return false;
      const now = clock();
      if ((onProgress || onBetter) && now - reportedAt >= PROGRESS_EVERY_MS) {
        reportedAt = now;
        const { best, bound } = known();
        const done = Math.min(1, Math.max((now - start) / 1000 / seconds, passes / steps));
        const isBetter = best !== null && best !== drawn;
        if (isBetter) bestPlan = planOf(best);
        const { used = 0, unplaced = [] } = bestPlan ?? {};
        // The bound in hand is for all that can be laid.
        const proven =
          bestPlan && best!.placing.stock.some((at) => at < 0) ? bestPlan.bound : Math.min(bound, used || bound);
        onProgress?.({ done, used, unplaced, bound: proven, ...(isBetter && { sketch: sketchOf(job, best) }) });
        if (isBetter) onBetter?.({ ...bestPlan!, passes, refused: 0 });
        drawn = best;
      }
      return now - start >= seconds * 1000;
    },
  };
}

function sketchOf(job: LayJob, { parts, placing }: Found): LaySketch {
  const lefts = job.stock.map(({ left }) => left);
  const [left, right] = [Math.min(...lefts), Math.max(...job.stock.map((stock) => stock.right))];
  const starts = placing.used.map((_, k) => placing.used.slice(0, k).reduce((sum, one) => sum + one, 0));
  const rings = parts.flatMap((part, i): LaySketch['rings'] => {
    if (placing.stock[i]! < 0) return [];
    const turn = 90 * placing.turned[i]!;
    const box: Point[] = [
      [0, 0],
      [part.width, 0],
      [part.width, part.height],
      [0, part.height],
    ];
    const cuts = part.block?.cuts.map(({ outline }) => outline) ?? [turnOutline(part.outlines?.ring ?? box, turn)];
    const [x, y] = [placing.x[i]! - left, placing.y[i]! + starts[placing.stock[i]!]!];
    return cuts.map((ring) => ({
      isStrip: part.block !== undefined,
      ring: ring.map(([dx, dy]): Point => [x + dx, y + dy]),
    }));
  });
  return { width: right - left, rings };
}

/** Splits the pieces into those that fit on an empty length and those that fit on none, with the reason. */
function sortOut(job: LayJob): { pieces: LayPart[]; unplaced: Unplaced[] } {
  const unplaced: Unplaced[] = [];
  const missed = new Map(job.pieces.map((piece) => [piece.id, whyNoPlace(job, piece)]));
  const pieces = pieceParts(job).filter(({ piece, width, height, turns }) => {
    const ways = turns.map((turn) => (turn === 0 ? [width, height] : [height, width]) as [Nm, Nm]);
    const wide = job.stock.filter(({ left, right }) => ways.some(([w]) => w <= right - left));
    const fits = wide.some(({ left, right, length }) => ways.some(([w, h]) => w <= right - left && h <= length));
    const why = fits
      ? missed.get(piece!.id)!
      : wide.length === 0
        ? 'no stock length is wide enough'
        : 'no stock length is long enough';
    if (why) unplaced.push({ ...pieceName(piece!), why });
    return !why;
  });
  return { pieces, unplaced };
}

/** Why a piece that is fixed to the pattern lies on no length although it would fit there without; null when it has a place. */
function whyNoPlace({ stock, lattice, units }: LayJob, { width, height, match }: LayPiece): string | null {
  if (!lattice || !match || match.group !== null) return null;
  let least = Infinity;
  for (const { left, right, length, motif } of stock) {
    if (width > right - left || height > length) continue;
    const [phaseX, phaseY] = [match.offset[0] - match.anchor[0], match.offset[1] - match.anchor[1]];
    const phase = phaseOf(phaseX, phaseY, lattice);
    const miss = missAcross({ from: left, to: right - width, phase: motif[0] + phase[0] }, lattice);
    if (miss > 0) {
      least = Math.min(least, miss);
      continue;
    }
    // In each next column of the pattern it may begin elsewhere along the cloth.
    for (let x = nextAcross(left - motif[0], phase[0], lattice); x + motif[0] + width <= right; x += lattice.across) {
      const over = motif[1] + nextAlong(x, -motif[1], phase, lattice) + height - length;
      if (over <= 0) return null;
      least = Math.min(least, over);
      if (lattice.across === 0 || lattice.shift === 0) break;
    }
  }
  if (least === Infinity) return null;
  const by = `${Number(toUnits(least, units).toPrecision(3))} ${units}`;
  return `where the pattern is right for it, it would reach ${by} past the edge of the cloth`;
}

const pieceName = ({ id, copy }: { id: string; copy: number }) => ({ piece: id, copy });

const isSame = (one: Placed, other: Placed): boolean =>
  (['pieces', 'strips'] as const).every((of) => [...other[of]].every(([id, qty]) => (one[of].get(id) ?? 0) === qty));

function toPlan(
  job: LayJob,
  best: Found | null,
  unplaced: Unplaced[],
  bound: (placed: Placed) => Nm,
): Omit<LayPlan, 'passes' | 'refused'> {
  const lays: Lay[] = job.stock.map(({ id }) => ({ stock: id, used: 0, placed: [], cuts: [] }));
  const failed: Unplaced[] = [...unplaced];
  const short = new Set<string>();
  best?.parts.forEach((part, i) => {
    if (best.placing.stock[i]! >= 0) return;
    if (part.piece) failed.push({ ...pieceName(part.piece), why: whyLeft(job, part) });
    else for (const cut of part.block!.cuts) short.add(keyOf(cut));
  });
  best?.parts.forEach((part, i) => {
    const lay = lays[best.placing.stock[i]!];
    if (!lay) return;
    const [x, y] = [best.placing.x[i]!, best.placing.y[i]!];
    if (part.piece) {
      lay.placed.push({ ...pieceName(part.piece), x, y, turn: 90 * best.placing.turned[i]! });
      lay.used = Math.max(lay.used, y + (best.placing.turned[i]! % 2 === 1 ? part.width : part.height));
      return;
    }
    for (const cut of part.block!.cuts) {
      // A strip of which a part found no room is not cut at all.
      if (short.has(keyOf(cut))) continue;
      const outline = cut.outline.map(([cx, cy]) => [x + cx, y + cy]) as StripCut['outline'];
      lay.cuts.push({ ...cut, outline });
      for (const [, cy] of outline) lay.used = Math.max(lay.used, cy);
    }
  });
  for (const key of short) {
    const [strip, copy] = JSON.parse(key) as [string, number];
    failed.push({ strip, copy, why: 'no stock length has room left for all of its cuts' });
  }
  const placed = placedCopies(lays);
  const used = lays.reduce((sum, lay) => sum + lay.used, 0);
  return {
    lays: lays.filter(({ placed: p, cuts }) => p.length + cuts.length > 0),
    unplaced: failed,
    used,
    endless:
      lays.find(({ stock }) => job.stock.some(({ id, length }) => id === stock && length === Infinity))?.used ?? 0,
    bound: Math.min(bound(placed), used),
  };
}

/** Why a piece that fits the cloth was laid nowhere: an endless length has room for all that the pattern lets lie there. */
const whyLeft = ({ stock }: LayJob, { match }: LayPart): string =>
  match?.group && endlessOf(stock) >= 0
    ? `on no place of the pattern can it lie together with the others of its set ${JSON.stringify(match.group)}`
    : 'no stock length has room left for it';

/** How many copies of each piece and strip lie on the lays. */
export function placedCopies(lays: readonly Lay[]): Placed {
  const placed: Placed = { pieces: new Map(), strips: new Map() };
  for (const { piece } of lays.flatMap((lay) => lay.placed))
    placed.pieces.set(piece, (placed.pieces.get(piece) ?? 0) + 1);
  for (const key of new Set(lays.flatMap(({ cuts }) => cuts.map(keyOf)))) {
    const [strip] = JSON.parse(key) as [string, number];
    placed.strips.set(strip, (placed.strips.get(strip) ?? 0) + 1);
  }
  return placed;
}

const keyOf = ({ strip, copy }: Pick<StripWant, 'strip' | 'copy'>) => JSON.stringify([strip, copy]);

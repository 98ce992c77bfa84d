import type { Nm } from '../length';
import type { LayJob } from './job';
import { doubleArea } from './outline';

/** A thing with an area that must come off the cloth: its width and height as it may lie, with its copies. */
interface Load {
  qty: number;
  /** The ways it may lie: [width, height] nm. */
  ways: [Nm, Nm][];
  /** nm², at most width * height (an outline has less, a strip's joins more are left out). */
  area: number;
}

/**
 * A proven lower bound (nm) of the length that the placed copies use, over all lays together. The best of
 * - the area over the widest usable width (both enlarged by the gap),
 * - the tallest copy,
 * - dual feasible functions on the widths (Fekete and Schepers 2001, from memory): each maps widths so that any row
 *   that fits still fits, hence the sum of mapped width times height over the width is a bound; the simplest of them
 *   says that pieces wider than half the cloth lie one behind the other.
 * `placed` says how many copies of each piece and strip (by id) lie on the cloth.
 */
export function lowerBound(job: LayJob, placed: { pieces: Map<string, number>; strips: Map<string, number> }): Nm {
  const width = Math.max(...job.stock.map(({ left, right }) => right - left));
  const { gap } = job;
  const loads: Load[] = job.pieces.map(({ id, width: w, height: h, turns, outline }) => ({
    qty: placed.pieces.get(id) ?? 0,
    ways: waysOf(w, h, turns),
    area: outline ? Math.abs(doubleArea(outline)) / 2 : (w + gap) * (h + gap),
  }));
  const stripLoads: Load[] = job.strips.map(({ id, width: w, length, grain }) => ({
    qty: placed.strips.get(id) ?? 0,
    // A strip along the cloth takes its width over at least its length; the others may be cut to any length.
    ways: grain === 'along' ? [[w, length]] : [],
    area: w * length,
  }));
  const all = [...loads, ...stripLoads].filter(({ qty }) => qty > 0);
  if (all.length === 0) return 0;

  const gaps = job.stock.length * gap;
  const byArea = all.reduce((sum, { area, qty }) => sum + area * qty, 0) / (width + gap) - gaps;
  const tallest = Math.max(
    ...loads
      .filter(({ qty }) => qty > 0)
      .map(({ ways }) => Math.min(...ways.filter(([w]) => w <= width).map(([, h]) => h))),
    0,
  );
  const byWidths = job.stock.length > 1 ? 0 : dualFeasible(all, width, gap);
  // Sums of rounded terms: stay on the safe side by one part in 10^12.
  return Math.max(0, Math.floor(Math.max(byArea, tallest, byWidths) * (1 - 1e-12)));
}

function waysOf(w: Nm, h: Nm, turns: readonly number[]): [Nm, Nm][] {
  return turns.some((turn) => turn % 180 === 90) && w !== h
    ? [
        [w, h],
        [h, w],
      ]
    : [[w, h]];
}

const MOST_THRESHOLDS = 60;

/** The best bound from the families f(x) = (x > W - e ? W : x < e ? 0 : x) and u_k (rounding to k parts). */
function dualFeasible(loads: Load[], usable: Nm, gap: Nm): Nm {
  const width = usable + gap;
  const shaped = loads.filter(({ ways }) => ways.length > 0);
  const bound = (f: (x: number) => number) =>
    shaped.reduce(
      (sum, { ways, qty }) =>
        sum + qty * Math.min(...ways.map(([w, h]) => (w > usable ? Infinity : (f(w + gap) / width) * (h + gap)))),
      0,
    ) - gap;
  const thresholds = [...new Set(shaped.flatMap(({ ways }) => ways.flatMap(([w]) => [w + gap, width - w - gap])))]
    .filter((e) => e > 0 && e <= width / 2)
    .sort((a, b) => a - b);
  const stride = Math.max(1, Math.ceil(thresholds.length / MOST_THRESHOLDS));
  let best = 0;
  for (let i = 0; i < thresholds.length; i += stride) {
    const e = thresholds[i]!;
    best = Math.max(
      best,
      bound((x) => (x > width - e ? width : x < e ? 0 : x)),
    );
  }
  // Widths over half the cloth can't lie side by side.
  best = Math.max(
    best,
    bound((x) => (x > width / 2 ? width : x === width / 2 ? width / 2 : 0)),
  );
  for (let k = 1; k <= 12; k++) {
    best = Math.max(
      best,
      bound((x) => (((k + 1) * x) % width === 0 ? x : (Math.floor(((k + 1) * x) / width) * width) / k)),
    );
  }
  return best;
}

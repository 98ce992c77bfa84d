import { DRILL, pricedItem } from '@/core/batch/testing';
import type { JobPart } from '@/core/cutlist';
import { findFaults, type LayJob, type LayPlan } from '@/core/lay';
import { jobOf, provenBound } from '@/core/lay/testing';
import { inches } from '@/core/length';
import { writeMarker } from '@/core/marker';
import type { TableDocument } from './table-document';

// For tests: a small lay as the table opens it.

export const IN = inches(1);
/** Two fronts and a back of order 31 on a bolt, with a remnant beside it. */
export const JOB: LayJob = jobOf({
  stock: [
    { id: 'R7', length: 30 },
    { id: 'B12', length: 200 },
  ],
  pieces: [
    { id: '31/1 front', size: [20, 12], qty: 2 },
    { id: '31/1 back', size: [10, 10], qty: 1 },
  ],
});
const part = (name: string, size: [number, number]): JobPart => ({
  id: `31/1 ${name}`,
  orderNo: '31',
  line: '1',
  name,
  sum: ['', ''],
  size: [size[0] * IN, size[1] * IN],
  isStrip: false,
});
export const PARTS = [part('front', [20, 12]), part('back', [10, 10])];

const ITEMS = [pricedItem('R7', 30 / 36, 1800), pricedItem('B12', 200 / 36, 1800)];

/** A lay of that job: each piece on a length, where it is said to be (in). */
export function planOf(
  job: LayJob,
  placed: [stock: string, piece: string, copy: number, x: number, y: number][],
): LayPlan {
  const stocks = [...new Set(placed.map(([stock]) => stock))];
  const lays = stocks.map((stock) => {
    const own = placed.filter(([on]) => on === stock);
    const used = Math.max(...own.map(([, piece, , , y]) => y * IN + job.pieces.find(({ id }) => id === piece)!.height));
    return {
      stock,
      used,
      placed: own.map(([, piece, copy, x, y]) => ({ piece, copy, x: x * IN, y: y * IN, turn: 0 })),
      cuts: [],
    };
  });
  const used = lays.reduce((sum, one) => sum + one.used, 0);
  const plan: LayPlan = { lays, unplaced: [], used, endless: used, bound: provenBound(job), passes: 0, refused: 0 };
  const [fault] = findFaults(job, plan);
  if (fault) throw new Error(fault.what);
  return plan;
}

/** Side by side on the bolt, 12 in long. */
export const SIDE_BY_SIDE = planOf(JOB, [
  ['B12', '31/1 front', 1, 0.5, 0],
  ['B12', '31/1 front', 2, 20.5, 0],
  ['B12', '31/1 back', 1, 42, 0],
]);

/** The server's text of a lay for the table. */
export const tableText = (plan: LayPlan = SIDE_BY_SIDE, rest: Partial<TableDocument> = {}): string =>
  JSON.stringify({
    marker: writeMarker({ version: 3, cloth: DRILL, job: JOB, plan, parts: PARTS }),
    cloth: DRILL,
    items: ITEMS,
    isOpen: true,
    boughtNm: plan.used,
    costMinor: 600,
    currency: 'GBP',
    ...rest,
  } satisfies TableDocument);

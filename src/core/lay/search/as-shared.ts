import { findFaults } from '../check/check';
import type { Box } from '../model/box';
import type { LayJob } from '../model/job';
import type { LayPart, StripSet } from '../model/parts';
import type { LayPlan, StripCut } from '../model/plan';
import type { StripBlock } from '../strips/strips';
import type { SharedLay } from './context';

/** A block of cuts where it lies in a plan. */
interface LaidBlock {
  stock: number;
  box: Box;
  cuts: StripCut[];
}

/**
 * A plan as the search has lays, to go on from: the cuts of its strips in blocks, of which none shares cloth with anything else. Null
 * where it has no such blocks, or leaves a strip out that the search would cut.
 */
export function asShared(
  job: LayJob,
  pieces: readonly LayPart[],
  sets: readonly StripSet[][],
  plan: LayPlan,
): SharedLay | null {
  const blocks = (sets[0] ?? []).map((set) => blocksOfSet(job, set, plan));
  if (blocks.some((some) => some === null)) return null;
  const laid = blocks.flatMap((some) => some!);
  const cuts = plan.lays.reduce((sum, lay) => sum + lay.cuts.length, 0);
  if (laid.reduce((sum, one) => sum + one.cuts.length, 0) !== cuts || !areApart(job, laid, plan)) return null;
  const key = (id: string, copy: number) => JSON.stringify([id, copy]);
  const places = new Map(
    plan.lays.flatMap(({ stock, placed }) => {
      const at = job.stock.findIndex(({ id }) => id === stock);
      return placed.map((one) => [key(one.piece, one.copy), { ...one, at }] as const);
    }),
  );
  const found = [
    ...pieces.map(({ piece }) => places.get(key(piece!.id, piece!.copy))),
    ...laid.map(({ stock, box }) => ({ at: stock, x: box[0], y: box[1], turn: 0 })),
  ];
  return {
    setChoice: 0,
    ways: blocks.map((some) => some!.map(blockOf)),
    stock: Int32Array.from(found, (one) => one?.at ?? -1),
    x: Float64Array.from(found, (one) => one?.x ?? 0),
    y: Float64Array.from(found, (one) => one?.y ?? 0),
    // A half turn of a rectangle is the same place.
    turned: Uint8Array.from(found, (one, i) => ((one?.turn ?? 0) / 90) % (pieces[i]?.outlines ? 4 : 2)),
  };
}

/** The cuts of a set in as many blocks as there are rectangles of cloth apart from each other; null where a strip of it has no cut. */
function blocksOfSet(job: LayJob, { wants }: StripSet, plan: LayPlan): LaidBlock[] | null {
  const wanted = new Set(wants.map(({ strip, copy }) => JSON.stringify([strip, copy])));
  const found = new Set<string>();
  const blocks: LaidBlock[] = [];
  for (const lay of plan.lays) {
    const stock = job.stock.findIndex(({ id }) => id === lay.stock);
    for (const cut of lay.cuts) {
      const key = JSON.stringify([cut.strip, cut.copy]);
      if (!wanted.has(key)) continue;
      found.add(key);
      const block = { stock, box: boxOfCut(cut), cuts: [cut] };
      // A larger box may meet others again.
      for (let met = -1; (met = blocks.findIndex((one) => one.stock === stock && doMeet(one.box, block.box))) >= 0;) {
        const [other] = blocks.splice(met, 1);
        block.box = around(block.box, other!.box);
        block.cuts = [...other!.cuts, ...block.cuts];
      }
      blocks.push(block);
    }
  }
  return found.size === wanted.size ? blocks : null;
}

/** Tells whether the blocks may be cut out whole, beside each other and beside the pieces: asked of the independent check. */
function areApart(job: LayJob, blocks: readonly LaidBlock[], plan: LayPlan): boolean {
  const id = (i: number) => `block ${i}`;
  const asPieces: LayJob = {
    ...job,
    strips: [],
    pieces: [
      ...job.pieces,
      ...blocks.map(({ box: [x0, y0, x1, y1] }, i) => ({
        id: id(i),
        qty: 1,
        width: x1 - x0,
        height: y1 - y0,
        outline: null,
        turns: [0],
        match: null,
      })),
    ],
  };
  const lays = plan.lays.map(({ stock, placed }) => ({
    stock,
    used: 0,
    placed: [
      ...placed,
      ...blocks.flatMap(({ stock: at, box }, i) =>
        job.stock[at]!.id === stock ? [{ piece: id(i), copy: 1, x: box[0], y: box[1], turn: 0 }] : [],
      ),
    ],
    cuts: [],
  }));
  const faults = findFaults(asPieces, { ...plan, lays });
  return faults.every(({ kind }) => ['copies', 'used', 'bound'].includes(kind));
}

const blockOf = ({ box: [x0, y0, x1, y1], cuts }: LaidBlock): StripBlock => ({
  width: x1 - x0,
  height: y1 - y0,
  cuts: cuts.map((cut) => ({
    ...cut,
    outline: cut.outline.map(([x, y]) => [x - x0, y - y0]) as StripCut['outline'],
  })),
});

function boxOfCut({ outline }: StripCut): Box {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

const doMeet = (a: Box, b: Box) => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];

const around = (a: Box, b: Box): Box => [
  Math.min(a[0], b[0]),
  Math.min(a[1], b[1]),
  Math.max(a[2], b[2]),
  Math.max(a[3], b[3]),
];

import { phaseOf } from '../cloth';
import {
  boxesOutside,
  boxesWithin,
  boxAround,
  doubleArea,
  FreeSpace,
  type Box,
  type LayJob,
  type LayPlan,
  type Point,
} from '../lay';
import type { Nm } from '../length';
import { drawPlan, type LayDrawing } from '../marker';

/** Remnants of a lay that are worth keeping. Lengths in nm, as they lie on the table. */
export interface Remnant {
  /** The length of cloth that it comes from, by its id in the job. */
  stock: string;
  /** Where it lies on that length. */
  box: Box;
  /** Its shape from its own lower left corner; null for a rectangle. */
  outline: Point[] | null;
  /** Where a point of the pattern lies on it, so that it can be matched again. */
  motif: Point;
  area: number;
}

/** Most remnants of one length: more small pieces than that nobody labels. */
const MOST_OF_ONE = 6;
/** An end piece keeps its shape when it holds so much more than the largest rectangle in it. */
const WORTH_ITS_SHAPE = 1.25;

/**
 * The pieces of cloth that a lay leaves and that are worth keeping: the end piece with its shape where that holds clearly more than a
 * rectangle, then the largest free rectangles, one after the other, each no smaller than the workroom's least size either way round.
 */
export function remnantsOf(job: LayJob, plan: LayPlan, least: readonly [Nm, Nm]): Remnant[] {
  return drawPlan(job, plan).flatMap((drawing) => remnantsOfLength(job, drawing, least));
}

function remnantsOfLength(job: LayJob, drawing: LayDrawing, least: readonly [Nm, Nm]): Remnant[] {
  const { stock, used } = drawing;
  const narrow = Math.min(...least);
  if (used <= 0) return [];
  const blocked = [
    ...stock.flaws,
    ...(stock.outline ? boxesOutside(stock.outline, stock.left, stock.right, used) : []),
  ];
  const taken = drawing.items.flatMap(({ ring }) => (isBox(ring) ? [boxAround(ring)] : boxesWithin(ring)));
  const free = new FreeSpace(stock.left, stock.right, used, narrow, narrow, blocked);
  for (const box of taken) free.take(...box);
  const found: Remnant[] = [];
  const keep = (box: Box, outline: Point[] | null, area: number) => {
    const [x, y] = [stock.motif[0] - box[0], stock.motif[1] - box[1]];
    found.push({ stock: stock.id, box, outline, motif: job.lattice ? phaseOf(x, y, job.lattice) : [0, 0], area });
  };
  const end = endPiece([...taken, ...blocked], stock.left, stock.right, used, least);
  if (end && isLarge(boxAround(end.ring), least) && end.area >= WORTH_ITS_SHAPE * end.rectangle) {
    const box = boxAround(end.ring);
    keep(
      box,
      end.ring.map(([x, y]): Point => [x - box[0], y - box[1]]),
      end.area,
    );
    for (const part of boxesWithin(end.ring)) free.take(...part);
  }
  while (found.length < MOST_OF_ONE) {
    const box = largestOf(free, least);
    if (!box) break;
    keep(box, null, (box[2] - box[0]) * (box[3] - box[1]));
    free.take(...box);
  }
  return found;
}

/** The largest free rectangle that is large enough; those that are not are taken off on the way. */
function largestOf(free: FreeSpace, least: readonly [Nm, Nm]): Box | null {
  for (let tries = 0; tries < MOST_OF_ONE * 40; tries++) {
    const box = free.largest();
    if (!box || isLarge(box, least)) return box;
    free.take(...box);
  }
  return null;
}

const isLarge = ([x0, y0, x1, y1]: Box, [a, b]: readonly [Nm, Nm]) =>
  (x1 - x0 >= a && y1 - y0 >= b) || (x1 - x0 >= b && y1 - y0 >= a);

const isBox = (ring: readonly Point[]) =>
  ring.length === 4 && ring.every(([x, y], i) => x === ring[(i + 1) % 4]![0] || y === ring[(i + 1) % 4]![1]);

/** A column of the end piece: free from `base` to the cut. */
interface Column {
  from: Nm;
  to: Nm;
  base: Nm;
}

/**
 * The usable part of the columns: the union of all rectangles up to the cut that are at least the least size (a morphological opening).
 * Whatever no such rectangle covers is a sliver, and falls away. From the lowest base up, each run of columns that is free from there and is
 * large enough keeps its columns down to that base.
 */
function usableColumns(columns: readonly Column[], used: Nm, least: readonly [Nm, Nm]): (Column | null)[] {
  const usable: (Column | null)[] = columns.map(() => null);
  for (const level of [...new Set(columns.map(({ base }) => base))].sort((a, b) => a - b)) {
    for (let i = 0; i < columns.length;) {
      if (columns[i]!.base > level) {
        i++;
        continue;
      }
      let end = i;
      while (end < columns.length && columns[end]!.base <= level) end++;
      if (isLarge([columns[i]!.from, level, columns[end - 1]!.to, used], least))
        for (let k = i; k < end; k++) usable[k] ??= { ...columns[k]!, base: level };
      i = end;
    }
  }
  return usable;
}

/**
 * The usable end beyond the last pieces up to the cut: the largest run of columns, as a stepped outline, with the area (nm²) that
 * it has, and that of the largest rectangle in it.
 */
function endPiece(taken: readonly Box[], left: Nm, right: Nm, used: Nm, least: readonly [Nm, Nm]) {
  const within = (x: Nm) => x > left && x < right;
  const xs = [...new Set([left, ...taken.flatMap(([x0, , x1]) => [x0, x1]).filter(within), right])].sort(
    (a, b) => a - b,
  );
  const columnOf = new Map(xs.map((x, i) => [x, i]));
  const bases = new Float64Array(xs.length - 1);
  // From the lowest top edge to the highest, each over those before it.
  for (const [x0, , x1, y1] of [...taken].sort((one, other) => one[3] - other[3])) {
    const [from, to] = [columnOf.get(Math.max(x0, left)), columnOf.get(Math.min(x1, right))];
    if (from !== undefined && to !== undefined && y1 > 0) bases.fill(Math.min(y1, used), from, to);
  }
  const columns = xs.slice(1).map((to, i) => ({ from: xs[i]!, to, base: bases[i]! }));
  const runs: Column[][] = [[]];
  for (const column of usableColumns(columns, used, least)) {
    if (column) runs.at(-1)!.push(column);
    else runs.push([]);
  }
  const areaOf = (run: readonly Column[]) =>
    run.reduce((sum, { from, to, base }) => sum + (to - from) * (used - base), 0);
  const [run] = runs.filter((one) => one.length > 0).sort((a, b) => areaOf(b) - areaOf(a));
  if (!run) return null;
  const steps = run.flatMap(({ from, to, base }): Point[] => [
    [from, base],
    [to, base],
  ]);
  const ring = withoutRepeats([...steps, [run.at(-1)!.to, used], [run[0]!.from, used]]);
  let rectangle = 0;
  for (let i = 0; i < run.length; i++) {
    let base = 0;
    for (let k = i; k < run.length; k++) {
      base = Math.max(base, run[k]!.base);
      rectangle = Math.max(rectangle, (run[k]!.to - run[i]!.from) * (used - base));
    }
  }
  return { ring, area: Math.abs(doubleArea(ring)) / 2, rectangle };
}

/** A ring without corners that lie on each other or between their neighbours. */
function withoutRepeats(ring: readonly Point[]): Point[] {
  const distinct = ring.filter(([x, y], i) => {
    const [px, py] = ring[(i + ring.length - 1) % ring.length]!;
    return x !== px || y !== py;
  });
  return distinct.filter(([x, y], i) => {
    const [ax, ay] = distinct[(i + distinct.length - 1) % distinct.length]!;
    const [bx, by] = distinct[(i + 1) % distinct.length]!;
    return !((ax === x && x === bx) || (ay === y && y === by));
  });
}

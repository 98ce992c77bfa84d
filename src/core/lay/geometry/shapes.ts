import { boxShape, NoFitPolygons, ringShape, type Shape } from './no-fit-polygons';
import type { LayJob } from '../model/job';
import type { Nm } from '../../length';
import { boxesOutside, turnOutline, type Point } from '../model/outline';
import { coarseOutline } from './rounded-outline';
import type { LayPart } from '../model/parts';

/** Where a shape lies: nm, its box's lower left corner. */
export interface Spot {
  stock: number;
  x: number;
  y: number;
  shape: number;
}

/** The shapes of parts in all their turns, each once, and those of what lies on the cloth for good. */
export interface ShapeSet {
  shapes: Shape[];
  /** The quarter turns of each shape. */
  turnOf: number[];
  /** For each part the numbers of its shapes. */
  ways: number[][];
  /** Flaws, and what lies outside an odd stock. */
  fixed: Spot[];
  /** How they meet: worked out as it is asked for, so it is worth keeping. */
  clearances: NoFitPolygons;
}

export function shapesOf(job: LayJob, parts: readonly LayPart[]): ShapeSet {
  const shapes: Shape[] = [];
  const turnOf: number[] = [];
  const known = new Map<string, number>();
  const numberOf = (key: string, turn: number, make: () => Shape) => {
    let number = known.get(key);
    if (number === undefined) {
      known.set(key, (number = shapes.length));
      shapes.push(make());
      turnOf.push(turn);
    }
    return number;
  };
  const simpler = new Map<string, readonly Point[]>();
  const coarse = (id: string, ring: readonly Point[], width: Nm, height: Nm) => {
    if (!simpler.has(id)) simpler.set(id, coarseOutline(ring, width, height));
    return simpler.get(id)!;
  };
  const ways = parts.map(({ width, height, turns, outlines, piece }) =>
    (outlines ? outlines.turns : turns).map((turn) => {
      const [w, h] = turn % 180 === 0 ? [width, height] : [height, width];
      return outlines
        ? numberOf(`${piece!.id} ${turn}`, turn / 90, () =>
            ringShape(turnOutline(coarse(piece!.id, outlines.ring, width, height), turn), w, h),
          )
        : numberOf(`${w} ${h} ${turn}`, turn / 90, () => boxShape(w, h));
    }),
  );
  const fixed: Spot[] = [];
  job.stock.forEach(({ left, right, length, flaws, outline }, stock) => {
    for (const [x0, y0, x1, y1] of [...flaws, ...(outline ? boxesOutside(outline, left, right, length) : [])]) {
      shapes.push(boxShape(x1 - x0, y1 - y0, false));
      turnOf.push(0);
      fixed.push({ stock, x: x0, y: y0, shape: shapes.length - 1 });
    }
  });
  return { shapes, turnOf, ways, fixed, clearances: new NoFitPolygons(shapes, job.gap) };
}

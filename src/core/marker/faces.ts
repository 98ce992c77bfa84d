import type { LayJob, LayPlan, Point } from '../lay';
import type { MarkSort } from '../covers';
import type { JobPart } from '../cutlist';
import type { Nm } from '../length';

/** An affine map of the plane as SVG and canvas write it: x' = a x + c y + e, y' = b x + d y + f. */
export type Matrix = [a: number, b: number, c: number, d: number, e: number, f: number];

/** A piece as one side of a finished cover, and where on the cloth it was cut. */
export interface Face {
  orderNo: string;
  line: string;
  name: string;
  /** Which cover of its line, from 1, and which of that cover's pieces of the name, from 1. */
  cover: number;
  nth: number;
  stock: string;
  /** The piece as it is cut (nm), its own across to the right and its own along upward from its lower left corner. */
  width: Nm;
  height: Nm;
  outline: Point[] | null;
  /** The usual seam allowance round it; 0 where none is known. */
  seam: Nm;
  /** From the piece's own frame to the cloth: nm from its left edge and its squared end. */
  toCloth: Matrix;
  /** Where the pattern's motif lies on that length. */
  motif: Point;
}

/** Where the points of a piece lie on the cloth that lies there at a turn (degrees): its box's lower left corner is at x, y. */
export function toCloth(x: Nm, y: Nm, turn: number, width: Nm, height: Nm): Matrix {
  if (turn === 90) return [0, 1, -1, 0, x + height, y];
  if (turn === 180) return [-1, 0, 0, -1, x + width, y + height];
  if (turn === 270) return [0, -1, 1, 0, x, y + width];
  return [1, 0, 0, 1, x, y];
}

/** The map back. */
export function inverse([a, b, c, d, e, f]: Matrix): Matrix {
  const det = a * d - b * c;
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
}

export const apply = ([a, b, c, d, e, f]: Matrix, [x, y]: readonly [number, number]): Point => [
  a * x + c * y + e,
  b * x + d * y + f,
];

/** A mark where it lies on the cloth (nm): a point, or a line between two. */
interface MarkOnCloth {
  n: number;
  name: string;
  sort: MarkSort;
  points: Point[];
}

/** A piece's marks where the piece lies, at a turn (degrees), its box's lower left corner at x, y. */
export function marksOnCloth(
  { marks = [], size: [width, height] }: Pick<JobPart, 'marks' | 'size'>,
  { x, y, turn }: { x: Nm; y: Nm; turn: number },
): MarkOnCloth[] {
  const map = toCloth(x, y, turn, width, height);
  return marks.map(({ points, ...mark }) => ({ ...mark, points: points.map((point) => apply(map, point)) }));
}

/** Strips that are no face of a cover but sewn into its seams and edges. */
const SEWN_IN = /piping|welt|binding|facing|strap|cord/;

/**
 * The faces of all covers that a plan cuts, its boxing strips cut by cut among them. `covers` says how many covers a line makes, by
 * `order/line`; equal pieces are handed out to them in their order, as a workroom sorts them into sets.
 */
export function facesOf(
  job: LayJob,
  plan: LayPlan,
  parts: readonly JobPart[],
  covers: ReadonlyMap<string, number>,
): Face[] {
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  const strips = new Map(
    job.strips.filter(({ id, grain }) => grain !== 'bias' && !SEWN_IN.test(id)).map((strip) => [strip.id, strip]),
  );
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const motifs = new Map(job.stock.map(({ id, motif }) => [id, motif]));
  const cutsSoFar = new Map<string, number>();
  /** Which cover a copy of so many belongs to, and which of that cover's it is. */
  const placeOf = (id: string, copy: number, qty: number) => {
    const part = partOf.get(id);
    const count = part && covers.get(`${part.orderNo}/${part.line}`);
    if (!part || !count) return null;
    const each = Math.max(1, Math.round(qty / count));
    const { orderNo, line, name } = part;
    return {
      orderNo,
      line,
      name,
      cover: Math.min(count, Math.ceil(copy / each)),
      nth: ((copy - 1) % each) + 1,
      seam: part.seam ?? 0,
    };
  };
  return plan.lays
    .flatMap(({ stock, placed, cuts }) => [
      ...placed.flatMap(({ piece: id, copy, x, y, turn }): Face[] => {
        const piece = pieces.get(id);
        const place = piece && placeOf(id, copy, piece.qty);
        if (!piece || !place) return [];
        const { width, height, outline } = piece;
        return [
          {
            ...place,
            stock,
            width,
            height,
            outline,
            toCloth: toCloth(x, y, turn, width, height),
            motif: motifs.get(stock)!,
          },
        ];
      }),
      ...cuts.flatMap(({ strip: id, copy, outline }): Face[] => {
        const strip = strips.get(id);
        const place = strip && placeOf(id, copy, strip.qty);
        if (!strip || !place) return [];
        const key = `${id} ${copy}`;
        const nth = (cutsSoFar.get(key) ?? 0) + 1;
        cutsSoFar.set(key, nth);
        const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
        const [x, y] = [Math.min(...xs), Math.min(...ys)];
        const [wide, high] = [Math.max(...xs) - x, Math.max(...ys) - y];
        // A strip's own across is its length, whichever way it lies on the cloth.
        const [width, height, turn] = strip.grain === 'across' ? [wide, high, 0] : [high, wide, 90];
        return [
          {
            ...place,
            nth,
            stock,
            width,
            height,
            outline: null,
            toCloth: toCloth(x, y, turn, width, height),
            motif: motifs.get(stock)!,
          },
        ];
      }),
    ])
    .sort((a, b) => a.cover - b.cover || a.nth - b.nth);
}

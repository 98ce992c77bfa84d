import { turnOutline, type LayJob, type LayPlan, type Point, type StockLength } from '../lay';
import type { Nm } from '../length';

/** One piece or one cut of a strip as it lies on a length of cloth. */
interface DrawnItem {
  /** The id of the piece or strip in the job. */
  id: string;
  copy: number;
  isStrip: boolean;
  /** Degrees; 0 for a strip. */
  turn: number;
  /** The length (nm) of a strip's cut; null for a piece. */
  cutLength: Nm | null;
  /** Its outline where it lies: nm from the left edge and from the squared end. */
  ring: Point[];
}

/** Items on one length of cloth. */
export interface LayDrawing {
  stock: StockLength;
  used: Nm;
  items: DrawnItem[];
}

/**
 * The outlines of a plan, one drawing for each length of cloth that it uses: the only way from a plan to a picture, a print or a cutting
 * file. What names no length or piece of the job is left out.
 */
export function drawPlan(job: LayJob, plan: LayPlan): LayDrawing[] {
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  return plan.lays.flatMap(({ stock: id, used, placed, cuts }): LayDrawing[] => {
    const stock = job.stock.find((one) => one.id === id);
    if (!stock) return [];
    const laid = placed.flatMap(({ piece: pieceId, copy, x, y, turn }): DrawnItem[] => {
      const piece = pieces.get(pieceId);
      if (!piece) return [];
      const { width, height, outline } = piece;
      const ring = turnOutline(
        outline ?? [
          [0, 0],
          [width, 0],
          [width, height],
          [0, height],
        ],
        turn,
      );
      return [
        { id: pieceId, copy, isStrip: false, turn, cutLength: null, ring: ring.map(([dx, dy]) => [x + dx, y + dy]) },
      ];
    });
    const cut = cuts.map(({ strip, copy, length, outline }): DrawnItem => ({
      id: strip,
      copy,
      isStrip: true,
      turn: 0,
      cutLength: length,
      ring: outline.map(([x, y]) => [x, y]),
    }));
    return [{ stock, used, items: [...laid, ...cut] }];
  });
}

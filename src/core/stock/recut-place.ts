import { nextAcross, nextAlong, phaseOf, type Lattice } from '../cloth';
import { boxesOutside, type Box, type StockLength } from '../lay';
import type { Nm } from '../length';

/** A piece that is cut again: its box as it lies, and where its lower left corner was on the pattern, where it is matched. */
export interface PieceAgain {
  width: Nm;
  height: Nm;
  /** It may lie a quarter turned. */
  mayTurn: boolean;
  /** Phase of its lower left corner from the pattern's own point (nm); null: the pattern does not matter. */
  phase: readonly [Nm, Nm] | null;
}

/** A place for a piece on a length of cloth: its lower left corner (nm), turned or not, and the length that it takes from the end. */
export interface RecutPlace {
  x: Nm;
  y: Nm;
  isTurned: boolean;
  width: Nm;
  height: Nm;
  length: Nm;
}

/** The phase of the corner of a placed piece, measured from a point of the pattern on its cloth. */
export const phaseOfCorner = (x: Nm, y: Nm, motif: readonly [Nm, Nm], lattice: Lattice): [Nm, Nm] =>
  phaseOf(Math.round(x - motif[0]), Math.round(y - motif[1]), lattice);

/** Most places of the pattern that are tried on one length: what is larger is a bolt, on which one of the first fits. */
const MOST_TRIED = 4_000;

/**
 * The place nearest to the end of a length of cloth where a piece can be cut again: clear of flaws and of the edges of a shaped remnant, and
 * on the same place of the pattern as before. Null where there is none.
 */
export function recutPlace(
  piece: PieceAgain,
  stock: StockLength,
  available: Nm,
  lattice: Lattice | null,
): RecutPlace | null {
  const blocked: readonly Box[] = [
    ...stock.flaws,
    ...(stock.outline ? boxesOutside(stock.outline, stock.left, stock.right, available) : []),
  ];
  const turns = piece.mayTurn && piece.width !== piece.height && piece.phase === null ? [false, true] : [false];
  const found = turns.flatMap((isTurned) => {
    const [width, height] = isTurned ? [piece.height, piece.width] : [piece.width, piece.height];
    const corner = cornerOf(width, height, piece.phase, stock, available, lattice, blocked);
    return corner ? [{ ...corner, isTurned, width, height, length: corner.y + height }] : [];
  });
  return found.sort((a, b) => a.length - b.length || a.x - b.x)[0] ?? null;
}

function cornerOf(
  width: Nm,
  height: Nm,
  phase: PieceAgain['phase'],
  { left, right, motif }: StockLength,
  available: Nm,
  lattice: Lattice | null,
  blocked: readonly Box[],
): { x: Nm; y: Nm } | null {
  const isFree = (x: Nm, y: Nm) =>
    blocked.every(([x0, y0, x1, y1]) => x + width <= x0 || x >= x1 || y + height <= y0 || y >= y1);
  const [mx, my] = motif;
  // Columns at which the piece may begin: at places of the pattern, or against the edge or what is blocked.
  const columns: Nm[] = [];
  if (phase && lattice && lattice.across > 0)
    for (let x = nextAcross(left - mx, phase[0], lattice) + mx; x + width <= right; x += lattice.across)
      columns.push(x);
  else columns.push(left, ...blocked.map(([, , x1]) => x1).filter((x) => x > left && x + width <= right));
  let best: { x: Nm; y: Nm } | null = null;
  let tried = 0;
  for (const x of columns.filter((one) => one + width <= right)) {
    // Rows likewise: the next place of the pattern from the end, and from the far side of each thing that is blocked.
    const floors = [0, ...blocked.map(([, , , y1]) => y1).filter((y) => y > 0 && y + height <= available)];
    for (const floor of floors.sort((a, b) => a - b)) {
      if (++tried > MOST_TRIED) return best;
      const y =
        phase && lattice && lattice.along > 0 ? Math.round(nextAlong(x - mx, floor - my, phase, lattice) + my) : floor;
      if (y + height > available || (best && y >= best.y)) continue;
      if (isFree(x, y)) best = { x: Math.round(x), y };
    }
  }
  return best;
}

import { nextAcross, nextAlong, phaseOf } from '../../cloth';
import type { Nm } from '../../length';
import { TOLERANCE } from '../check/check';
import { boxShape, ringShape, type Shape } from '../geometry/no-fit-polygons';
import type { Box } from '../model/box';
import type { LayJob, LayPiece, StockLength } from '../model/job';
import { doubleArea, turnOutline, type Point } from '../model/outline';
import type { LayPlan } from '../model/plan';
import { phaseAt, type Phase } from '../search/phase-tracker';
import { reachOutside, ringDistance, separationOf } from './convex';

/** A copy of a piece at a place: x, y nm of its box's lower left corner after turning (degrees). */
export interface Placement {
  stock: string;
  piece: string;
  copy: number;
  x: Nm;
  y: Nm;
  turn: number;
}

/** Why a piece can't lie at a place, and how far (nm) it is off; `by` is 0 where that says nothing. */
export interface Obstacle {
  kind: 'overlap' | 'gap' | 'width' | 'length' | 'flaw' | 'outline' | 'turn' | 'phase' | 'unknown';
  /** An obstacle: a piece or strip with its copy, or a length of cloth. */
  with: string;
  by: Nm;
}

interface Laid {
  label: string;
  /** Convex parts where they lie, counter-clockwise. */
  parts: readonly (readonly Point[])[];
  ring: readonly Point[];
  box: Box;
  /** Where it is a piece: which, and where. */
  placement: Placement | null;
}

/** Places that are tried when a piece snaps. */
const MOST_TRIED = 80;
/** Places that are tried when room is looked for on a whole length: about half a second among 1,000 pieces. */
const MOST_SEARCHED = 5_000;
/** Parts of outlines lie free of each other when none is deeper in another than this (nm): ten of them stay below the format's tolerance. */
const DEEP = 250;

/**
 * Items on the cloth, and places where one more may lie: for hands that move pieces. Every question looks at boxes first and at
 * shapes only where boxes meet, so it takes far less than a millisecond among 1,000 pieces. Whether straight cuts still free everything
 * is a matter of the whole plan (`findFaults`).
 */
export class LayTable {
  private readonly laid = new Map<string, Laid[]>();
  private readonly shapes = new Map<string, Shape>();
  private readonly pieces: ReadonlyMap<string, LayPiece>;
  private readonly tolerance: Nm;

  constructor(
    private readonly job: LayJob,
    plan: LayPlan,
  ) {
    this.pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
    this.tolerance = TOLERANCE[job.units];
    for (const { id } of job.stock) this.laid.set(id, []);
    for (const { stock, placed, cuts } of plan.lays) {
      for (const one of placed) this.put({ stock, ...one });
      for (const { strip, copy, outline } of cuts)
        this.laid.get(stock)?.push(laidOf(`${strip} ${copy}`, [outline], outline, null));
    }
  }

  /** Lays a piece, wherever that is; the copy is taken off from where it lay. */
  put(placement: Placement) {
    this.takeOff(placement);
    const laid = this.laidAt(placement);
    if (laid) this.laid.get(placement.stock)?.push(laid);
  }

  /** Takes a copy of a piece off the cloth. */
  takeOff({ piece, copy }: Pick<Placement, 'piece' | 'copy'>) {
    for (const [stock, all] of this.laid)
      this.laid.set(
        stock,
        all.filter(({ placement }) => placement?.piece !== piece || placement.copy !== copy),
      );
  }

  /** Obstacles to a copy of a piece lying there, apart from itself where it lies now; none: it may. */
  canPlace(placement: Placement): Obstacle[] {
    const stock = this.job.stock.find(({ id }) => id === placement.stock);
    const piece = this.pieces.get(placement.piece);
    if (!stock || !piece) return [{ kind: 'unknown', with: stock ? placement.piece : placement.stock, by: 0 }];
    if (!piece.turns.includes(placement.turn)) return [{ kind: 'turn', with: placement.piece, by: 0 }];
    const laid = this.laidAt(placement)!;
    return [...this.offCloth(laid, stock), ...this.inTheWay(laid, stock), ...this.offPhase(piece, placement, stock)];
  }

  private offCloth({ box, ring, parts }: Laid, { id, left, right, length, flaws, outline }: StockLength): Obstacle[] {
    const found: Obstacle[] = [];
    const wide = Math.max(left - box[0], box[2] - right);
    if (wide > this.tolerance) found.push({ kind: 'width', with: id, by: wide });
    const long = Math.max(-box[1], box[3] - length);
    if (long > this.tolerance) found.push({ kind: 'length', with: id, by: long });
    for (const [x0, y0, x1, y1] of flaws) {
      if (box[0] >= x1 || box[2] <= x0 || box[1] >= y1 || box[3] <= y0) continue;
      const flaw: Point[] = [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ];
      const depth = depthOf(parts, [flaw]);
      if (depth > this.limitOf(parts, 1)) found.push({ kind: 'flaw', with: id, by: depth });
    }
    if (outline) {
      const out = reachOutside(ring, outline);
      if (out > this.tolerance) found.push({ kind: 'outline', with: id, by: out });
    }
    return found;
  }

  private inTheWay({ box, parts, ring, placement }: Laid, { id }: StockLength): Obstacle[] {
    const { gap } = this.job;
    const found: Obstacle[] = [];
    for (const other of this.laid.get(id)!) {
      if (isCopy(other.placement, placement)) continue;
      const { box: b } = other;
      if (b[0] >= box[2] + gap || box[0] >= b[2] + gap || b[1] >= box[3] + gap || box[1] >= b[3] + gap) continue;
      const depth = depthOf(parts, other.parts);
      if (depth > this.limitOf(parts, other.parts.length))
        found.push({ kind: 'overlap', with: other.label, by: depth });
      else if (gap > 0) {
        const near = gap - ringDistance(ring, other.ring);
        if (near > this.tolerance) found.push({ kind: 'gap', with: other.label, by: near });
      }
    }
    return found;
  }

  /** Rectangles and single convex shapes may touch to the tolerance; several parts together must stay below it. */
  private limitOf(parts: readonly unknown[], others: number): Nm {
    return parts.length === 1 && others === 1 ? this.tolerance : DEEP;
  }

  private offPhase(piece: LayPiece, placement: Placement, stock: StockLength): Obstacle[] {
    const { lattice } = this.job;
    const wanted = this.phaseOf(piece, placement);
    if (!lattice || !piece.match || !wanted) return [];
    const [x, y] = phaseAt(piece.match, stock.motif, placement.x, placement.y, lattice);
    // The nearest place of the pattern may lie on either side.
    const columns = lattice.across > 0 ? [-1, 0, 1] : [0];
    const by = Math.min(
      ...columns.map((column) => {
        const dx = lattice.across > 0 ? x - wanted[0] + column * lattice.across : 0;
        const dy = y - wanted[1] + column * lattice.shift;
        const rest = lattice.along > 0 ? dy - Math.round(dy / lattice.along) * lattice.along : 0;
        return Math.max(Math.abs(dx), Math.abs(rest));
      }),
    );
    return by > this.tolerance ? [{ kind: 'phase', with: piece.match.group ?? stock.id, by }] : [];
  }

  /** The phase that a piece must have: a fixed one, or that of its group's other members; null where it is open. */
  private phaseOf({ match }: LayPiece, { piece, copy }: Placement): Phase | null {
    const { lattice } = this.job;
    if (!match || !lattice) return null;
    if (match.group === null) return [0, 0];
    for (const [id, all] of this.laid) {
      const { motif } = this.job.stock.find((one) => one.id === id)!;
      for (const { placement } of all) {
        if (!placement || (placement.piece === piece && placement.copy === copy)) continue;
        const other = this.pieces.get(placement.piece)!;
        if (other.match?.group === match.group) return phaseAt(other.match, motif, placement.x, placement.y, lattice);
      }
    }
    return null;
  }

  /**
   * The nearest place within `reach` (nm) where a piece may lie: beside its neighbours and the edges of the cloth, on its phase of the
   * pattern, or just where it is; null where there is none.
   */
  snap(placement: Placement, reach: Nm): Placement | null {
    const stock = this.job.stock.find(({ id }) => id === placement.stock);
    const piece = this.pieces.get(placement.piece);
    const laid = stock && piece?.turns.includes(placement.turn) ? this.laidAt(placement) : null;
    if (!stock || !piece || !laid) return null;
    const { x, y } = placement;
    const [w, h] = [laid.box[2] - laid.box[0], laid.box[3] - laid.box[1]];
    const { gap } = this.job;
    const [xs, ys] = [
      [x, stock.left, stock.right - w],
      [y, 0],
    ];
    if (stock.length !== Infinity) ys.push(stock.length - h);
    const sides = [
      ...stock.flaws,
      ...this.laid
        .get(stock.id)!
        .filter((other) => !isCopy(other.placement, placement))
        .map(({ box }) => box),
    ];
    sides.forEach(([x0, y0, x1, y1], i) => {
      if (x0 > laid.box[2] + reach || x1 < laid.box[0] - reach || y0 > laid.box[3] + reach || y1 < laid.box[1] - reach)
        return;
      const free = i < stock.flaws.length ? 0 : gap;
      xs.push(x1 + free, x0 - w - free, x0, x1 - w);
      ys.push(y1 + free, y0 - h - free, y0, y1 - h);
    });
    const places = this.onPhase(piece, placement, stock, xs, ys)
      .map(([px, py]) => ({ x: px, y: py, far: Math.hypot(px - x, py - y) }))
      .filter(({ far }) => far <= reach)
      .sort((a, b) => a.far - b.far)
      .slice(0, MOST_TRIED);
    const found = places.find((place) => this.canPlace({ ...placement, x: place.x, y: place.y }).length === 0);
    return found ? { ...placement, x: found.x, y: found.y } : null;
  }

  /**
   * The place nearest to the squared end of a length where a piece may lie, beside what lies there and on its phase of the pattern; behind
   * everything else where nothing is free before, so that an endless length always has room. Null where there is none, or none among the
   * first places that are tried.
   */
  roomOn(wish: Omit<Placement, 'x' | 'y'>): Placement | null {
    const stock = this.job.stock.find(({ id }) => id === wish.stock);
    const piece = this.pieces.get(wish.piece);
    const at = { ...wish, x: 0, y: 0 };
    const laid = stock && piece?.turns.includes(wish.turn) ? this.laidAt(at) : null;
    if (!stock || !piece || !laid) return null;
    const boxes = this.laid.get(stock.id)!.flatMap((other) => (isCopy(other.placement, at) ? [] : [other.box]));
    const sides = [...boxes, ...stock.flaws];
    const end = Math.max(0, ...sides.map(([, , , y1]) => y1)) + this.job.gap;
    const places = this.placesOn(stock, piece, at, laid.box, sides, end);
    const behind = places.filter(([, y]) => y >= end);
    const before = places.filter(([, y]) => y < end).slice(0, MOST_SEARCHED);
    const found = [...before, ...behind].find(([x, y]) => this.canPlace({ ...at, x, y }).length === 0);
    return found ? { ...at, x: found[0], y: found[1] } : null;
  }

  /** Where a piece might lie on a length, nearest to the squared end first: in the corners that boxes make, or where the pattern wants it. */
  private placesOn(
    stock: StockLength,
    piece: LayPiece,
    at: Placement,
    [, , w, h]: Box,
    boxes: readonly Box[],
    end: Nm,
  ) {
    const { gap, lattice } = this.job;
    const { left, right, motif } = stock;
    const wanted = this.phaseOf(piece, at);
    const match = lattice && wanted ? piece.match : null;
    const corner =
      match && lattice && wanted
        ? phaseOf(
            wanted[0] + match.offset[0] - match.anchor[0] + motif[0],
            wanted[1] + match.offset[1] - match.anchor[1] + motif[1],
            lattice,
          )
        : null;
    const unique = (some: readonly Nm[], from: Nm, to: Nm) =>
      [...new Set(some)].filter((v) => v >= from && v <= to).sort((a, b) => a - b);
    const reach = Math.min(stock.length - h, end + (lattice?.along ?? 0));
    const rows = unique([0, end, ...boxes.flatMap(([, y0, , y1]) => [y1 + gap, y0 - h - gap])], 0, reach);
    const columns = (y: Nm) =>
      unique(
        [
          left,
          right - w,
          ...boxes
            .filter((box) => box[1] < y + h + gap && box[3] > y - gap)
            .flatMap(([x0, , x1]) => [x1 + gap, x0 - w - gap]),
        ],
        left,
        right - w,
      );
    const steps = (first: Nm, step: Nm, last: Nm) =>
      Array.from({ length: Math.max(0, Math.floor((last - first) / step) + 1) }, (_, i) => first + i * step);
    const places: [Nm, Nm][] = [];
    if (!lattice || !corner) {
      for (const y of rows) for (const x of columns(y)) places.push([x, y]);
      return places;
    }
    const acrosses =
      lattice.across > 0
        ? steps(nextAcross(left, corner[0], lattice), lattice.across, right - w)
        : unique(rows.flatMap(columns), left, right - w);
    for (const x of acrosses) {
      const alongs = lattice.along > 0 ? steps(nextAlong(x, 0, corner, lattice), lattice.along, reach) : rows;
      for (const y of alongs) places.push([x, y]);
    }
    return places.sort((a, b) => a[1] - b[1] || a[0] - b[0]);
  }

  /** Places out of these columns and rows; where the piece has a phase, the nearest places of the pattern instead. */
  private onPhase(piece: LayPiece, placement: Placement, { motif }: StockLength, xs: Nm[], ys: Nm[]): [Nm, Nm][] {
    const { lattice } = this.job;
    const wanted = this.phaseOf(piece, placement);
    const all = (some: readonly Nm[]) => [...new Set(some)];
    if (!lattice || !piece.match || !wanted) return all(xs).flatMap((x) => all(ys).map((y): [Nm, Nm] => [x, y]));
    const { anchor, offset } = piece.match;
    // The phase that the piece's own corner must have on the cloth.
    const corner = phaseOf(
      wanted[0] + offset[0] - anchor[0] + motif[0],
      wanted[1] + offset[1] - anchor[1] + motif[1],
      lattice,
    );
    const columns =
      lattice.across === 0
        ? all(xs)
        : [placement.x - lattice.across, placement.x].map((x) => nextAcross(x, corner[0], lattice));
    return columns.flatMap((x) => {
      const rows =
        lattice.along === 0
          ? all(ys)
          : [placement.y - lattice.along, placement.y].map((y) => nextAlong(x, y, corner, lattice));
      return rows.map((y): [Nm, Nm] => [x, y]);
    });
  }

  private laidAt(placement: Placement): Laid | null {
    const { piece: id, copy, x, y, turn } = placement;
    const shape = this.shapeOf(id, turn);
    if (!shape) return null;
    const moved = (ring: readonly Point[]) => ring.map(([cx, cy]): Point => [x + cx, y + cy]);
    return laidOf(`${id} ${copy}`, shape.parts.map(moved), moved(shape.ring), placement);
  }

  private shapeOf(id: string, turn: number): Shape | null {
    const key = `${turn} ${id}`;
    const known = this.shapes.get(key);
    if (known) return known;
    const piece = this.pieces.get(id);
    if (!piece) return null;
    const [w, h] = turn % 180 === 0 ? [piece.width, piece.height] : [piece.height, piece.width];
    const shape = piece.outline ? ringShape(turnOutline(piece.outline, turn), w, h) : boxShape(w, h);
    this.shapes.set(key, shape);
    return shape;
  }
}

const isCopy = (one: Placement | null, other: Placement | null) =>
  one !== null && other !== null && one.piece === other.piece && one.copy === other.copy;

function laidOf(
  label: string,
  parts: readonly (readonly Point[])[],
  ring: readonly Point[],
  placement: Placement | null,
): Laid {
  const turned = doubleArea(ring) < 0 ? [...ring].reverse() : ring;
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return {
    label,
    parts: placement ? parts : [turned],
    ring: turned,
    box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)],
    placement,
  };
}

/** How deep (nm) the deepest pair of convex parts lies in each other; 0 where none does. */
function depthOf(parts: readonly (readonly Point[])[], others: readonly (readonly Point[])[]): Nm {
  let deepest = 0;
  for (const one of parts) for (const other of others) deepest = Math.max(deepest, -separationOf(one, other));
  return deepest;
}

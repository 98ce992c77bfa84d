import {
  boxAround,
  LayTable,
  lowerBound,
  placedCopies,
  type LayJob,
  type LayPiece,
  type LayPlan,
  type Obstacle,
  type Placement,
  type Point,
  type StripCut,
} from '../lay';
import type { Nm } from '../length';

/** One piece, or one cut of a strip, that hands may take hold of. */
export interface HandItem {
  /** Names it as long as its plan stays as it is. */
  key: string;
  /** The piece or strip of the job. */
  id: string;
  copy: number;
  /** The number of a strip's cut among those that its copy is joined from; null for a piece. */
  cut: number | null;
  stock: string;
  /** nm of its box's lower left corner, and the box's sides. */
  x: Nm;
  y: Nm;
  width: Nm;
  height: Nm;
  /** Degrees; a strip's cut keeps its way. */
  turn: number;
}

/** Where hands put something. */
export type Spot = Pick<Placement, 'stock' | 'x' | 'y' | 'turn'>;

const pieceKey = (id: string, copy: number) => `${id} ${copy}`;
const cutKey = (id: string, copy: number, cut: number) => `${id} ${copy} cut ${cut}`;

/** Items on the cloth, in the order in which plans have them. */
export function handItems(job: LayJob, plan: LayPlan): HandItem[] {
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  const counts = new Map<string, number>();
  return plan.lays.flatMap(({ stock, placed, cuts }) => [
    ...placed.flatMap(({ piece: id, copy, x, y, turn }): HandItem[] => {
      const piece = pieces.get(id);
      if (!piece) return [];
      const [width, height] = turn % 180 === 0 ? [piece.width, piece.height] : [piece.height, piece.width];
      return [{ key: pieceKey(id, copy), id, copy, cut: null, stock, x, y, width, height, turn }];
    }),
    ...cuts.map(({ strip, copy, outline }): HandItem => {
      const cut = (counts.get(pieceKey(strip, copy)) ?? 0) + 1;
      counts.set(pieceKey(strip, copy), cut);
      const [x, y, right, top] = boxAround(outline);
      return {
        key: cutKey(strip, copy, cut),
        id: strip,
        copy,
        cut,
        stock,
        x,
        y,
        width: right - x,
        height: top - y,
        turn: 0,
      };
    }),
  ]);
}

/** All that one copy is cut from: a piece by itself, a strip with all of its cuts. Those are locked and taken off together. */
export const sameCopy = (items: readonly HandItem[], { id, copy, cut }: HandItem): HandItem[] =>
  items.filter((one) => one.id === id && one.copy === copy && (one.cut === null) === (cut === null));

/** A lay as hands work on it: what may lie where, and the plan that comes of it. Every change gives a new one; none is ever changed. */
export class HandLay {
  readonly items: readonly HandItem[];
  private readonly byKey: ReadonlyMap<string, HandItem>;
  private held: LayTable | null = null;

  /** `plan` is what lies there; `proven` is a bound of the job that holds as long as nothing more is left out than `leftOut`. */
  constructor(
    readonly job: LayJob,
    readonly plan: LayPlan,
    readonly locked: ReadonlySet<string> = new Set(),
    private readonly proven: { bound: Nm; leftOut: number } = { bound: plan.bound, leftOut: plan.unplaced.length },
  ) {
    this.items = handItems(job, plan);
    this.byKey = new Map(this.items.map((item) => [item.key, item]));
  }

  item(key: string): HandItem | undefined {
    return this.byKey.get(key);
  }

  /** Obstacles to an item lying there; none: it may. */
  obstacles(key: string, spot: Spot): Obstacle[] {
    const item = this.byKey.get(key);
    return item ? this.table().canPlace({ ...asPiece(item), ...spot }) : [{ kind: 'unknown', with: key, by: 0 }];
  }

  /** The nearest place within `reach` (nm) where an item may lie, or null. */
  nearest(key: string, spot: Spot, reach: Nm): Spot | null {
    const item = this.byKey.get(key);
    const found = item && this.table().snap({ ...asPiece(item), ...spot }, reach);
    return found ? { stock: found.stock, x: found.x, y: found.y, turn: found.turn } : null;
  }

  /** The key of the item that is in the way, as obstacles name it; null where it is the cloth. */
  keyOf(name: string): string | null {
    return this.items.find((item) => labelOf(item) === name)?.key ?? null;
  }

  /** The ways (degrees) that an item may lie. */
  turnsOf(key: string): readonly number[] {
    const item = this.byKey.get(key);
    if (!item || item.cut !== null) return [0];
    return this.job.pieces.find(({ id }) => id === item.id)!.turns;
  }

  /** With an item lying there, whether it may or not; its key may be another then. */
  moved(key: string, spot: Spot): { lay: HandLay; key: string } {
    const item = this.byKey.get(key)!;
    const [dx, dy] = [spot.x - item.x, spot.y - item.y];
    const lays = this.lays();
    const from = lays.find(({ stock }) => stock === item.stock)!;
    const to = lays.find(({ stock }) => stock === spot.stock)!;
    if (item.cut === null) {
      const at = from.placed.findIndex(({ piece, copy }) => piece === item.id && copy === item.copy);
      const one = { piece: item.id, copy: item.copy, x: spot.x, y: spot.y, turn: spot.turn };
      if (from === to) from.placed[at] = one;
      else {
        from.placed.splice(at, 1);
        to.placed.push(one);
      }
      return { lay: this.with(lays), key };
    }
    const at = this.placeOfCut(item, from.cuts);
    const cut = from.cuts[at]!;
    const one: StripCut = {
      ...cut,
      outline: cut.outline.map(([x, y]): Point => [x + dx, y + dy]) as StripCut['outline'],
    };
    if (from === to) from.cuts[at] = one;
    else {
      from.cuts.splice(at, 1);
      to.cuts.push(one);
    }
    const lay = this.with(lays);
    const now = lay.items.find(
      (other) =>
        other.cut !== null &&
        other.id === item.id &&
        other.copy === item.copy &&
        other.stock === spot.stock &&
        other.x === spot.x &&
        other.y === spot.y,
    );
    return { lay, key: now?.key ?? key };
  }

  /** Without a copy of a piece or strip on the cloth: it waits beside it. */
  takenOff(key: string): HandLay {
    const item = this.byKey.get(key)!;
    const lays = this.lays();
    for (const lay of lays) {
      if (item.cut === null)
        lay.placed = lay.placed.filter(({ piece, copy }) => piece !== item.id || copy !== item.copy);
      else lay.cuts = lay.cuts.filter(({ strip, copy }) => strip !== item.id || copy !== item.copy);
    }
    const why = 'it was taken off the cloth by hand';
    const left =
      item.cut === null ? { piece: item.id, copy: item.copy, why } : { strip: item.id, copy: item.copy, why };
    const locked = new Set(this.locked);
    for (const one of sameCopy(this.items, item)) locked.delete(one.key);
    return this.with(lays, [...this.plan.unplaced, left], locked);
  }

  /** The place nearest to the squared end where a piece that lies nowhere may lie, on the first length that has one; null where none has. */
  roomFor(piece: string, copy: number): Spot | null {
    const turns = this.job.pieces.find(({ id }) => id === piece)?.turns ?? [];
    for (const { id: stock } of this.job.stock) {
      const found = this.firstRoom(stock, { piece, copy }, turns);
      if (found) return found;
    }
    return null;
  }

  /** The place nearest to the squared end of a length where an item of the lay may lie, turned as it is now if it can; null where there is none. */
  roomOn(key: string, stock: string): Spot | null {
    const item = this.byKey.get(key);
    return item ? this.firstRoom(stock, asPiece(item), [...new Set([item.turn, ...this.turnsOf(key)])]) : null;
  }

  private firstRoom(stock: string, one: ReturnType<typeof asPiece>, turns: readonly number[]): Spot | null {
    for (const turn of turns) {
      const found = this.table().roomOn({ stock, ...one, turn });
      if (found) return { stock: found.stock, x: found.x, y: found.y, turn: found.turn };
    }
    return null;
  }

  /** With a piece that lay nowhere lying there. */
  putOn(id: string, copy: number, { stock, x, y, turn }: Spot): { lay: HandLay; key: string } {
    const lays = this.lays();
    lays.find((lay) => lay.stock === stock)!.placed.push({ piece: id, copy, x, y, turn });
    const unplaced = this.plan.unplaced.filter((one) => !('piece' in one) || one.piece !== id || one.copy !== copy);
    return { lay: this.with(lays, unplaced), key: pieceKey(id, copy) };
  }

  /** With a copy locked or free again. */
  withLock(key: string, isLocked: boolean): HandLay {
    const locked = new Set(this.locked);
    for (const one of sameCopy(this.items, this.byKey.get(key)!)) {
      if (isLocked) locked.add(one.key);
      else locked.delete(one.key);
    }
    return new HandLay(this.job, this.plan, locked, this.proven);
  }

  /** With another plan of the same job in its place; what is locked stays locked. */
  withPlan(plan: LayPlan): HandLay {
    const lays = plan.lays.map((lay) => ({ ...lay, placed: [...lay.placed], cuts: [...lay.cuts] }));
    const lay = this.with(lays, plan.unplaced);
    // Cuts may be counted another way in it.
    const copies = new Set([...this.locked].map((key) => copyOf(this.byKey.get(key)!)));
    return new HandLay(
      this.job,
      lay.plan,
      new Set(lay.items.filter((item) => copies.has(copyOf(item))).map(({ key }) => key)),
      this.proven,
    );
  }

  /** The job with what is locked in it: what the rest is laid round, and what is kept with the lay. */
  lockedJob(): LayJob {
    const isLocked = (item: HandItem) => this.locked.has(item.key);
    const here = this.items.filter(isLocked);
    const cuts = new Set(here.filter(({ cut }) => cut !== null).map(({ id, copy }) => pieceKey(id, copy)));
    return {
      ...this.job,
      locked: here
        .filter(({ cut }) => cut === null)
        .map(({ stock, id, copy, x, y, turn }) => ({ stock, piece: id, copy, x, y, turn })),
      lockedCuts: this.plan.lays.flatMap(({ stock, cuts: all }) =>
        all.filter(({ strip, copy }) => cuts.has(pieceKey(strip, copy))).map((cut) => ({ stock, ...cut })),
      ),
    };
  }

  /** The same lay with what the job's own locks hold. */
  static locked(job: LayJob, plan: LayPlan): HandLay {
    const { locked, lockedCuts, ...rest } = job;
    const free = new HandLay({ ...rest, locked: [], lockedCuts: [] }, plan);
    const pieces = new Set(locked.map(({ piece, copy }) => pieceKey(piece, copy)));
    const strips = new Set(lockedCuts.map(({ strip, copy }) => pieceKey(strip, copy)));
    const keys = free.items
      .filter(({ id, copy, cut }) => (cut === null ? pieces : strips).has(pieceKey(id, copy)))
      .map(({ key }) => key);
    return new HandLay(free.job, plan, new Set(keys));
  }

  private placeOfCut(item: HandItem, cuts: readonly StripCut[]): number {
    return cuts.findIndex(({ strip, copy, outline }) => {
      const [x, y] = boxAround(outline);
      return strip === item.id && copy === item.copy && x === item.x && y === item.y;
    });
  }

  /** A lay for each length of the job, to be changed. */
  private lays() {
    return this.job.stock.map(({ id }) => {
      const lay = this.plan.lays.find(({ stock }) => stock === id);
      return { stock: id, placed: [...(lay?.placed ?? [])], cuts: [...(lay?.cuts ?? [])] };
    });
  }

  private with(
    changed: readonly Pick<LayPlan['lays'][number], 'stock' | 'placed' | 'cuts'>[],
    unplaced: LayPlan['unplaced'] = this.plan.unplaced,
    locked: ReadonlySet<string> = this.locked,
  ): HandLay {
    const tops = new Map<string, Nm>();
    for (const item of handItems(this.job, { ...this.plan, lays: changed.map((lay) => ({ ...lay, used: 0 })) }))
      tops.set(item.stock, Math.max(tops.get(item.stock) ?? 0, item.y + item.height));
    const lays = changed.filter(({ stock }) => tops.has(stock)).map((lay) => ({ ...lay, used: tops.get(lay.stock)! }));
    const used = lays.reduce((sum, lay) => sum + lay.used, 0);
    const endless = this.job.stock.find(({ length }) => length === Infinity)?.id;
    const bound =
      unplaced.length === this.proven.leftOut ? this.proven.bound : lowerBound(this.job, placedCopies(lays));
    const plan: LayPlan = {
      ...this.plan,
      lays,
      unplaced,
      used,
      endless: lays.find(({ stock }) => stock === endless)?.used ?? 0,
      bound: Math.min(bound, used),
    };
    return new HandLay(this.job, plan, locked, this.proven);
  }

  /** Items on the cloth for questions of a moment: each cut of a strip as a piece that keeps its way. */
  private table(): LayTable {
    if (this.held) return this.held;
    const { job, plan } = this;
    const cuts = new Map<string, LayPiece>();
    const shapes = plan.lays.flatMap((lay) => lay.cuts);
    const ofCuts = this.items.filter(({ cut }) => cut !== null);
    ofCuts.forEach((item, i) => cuts.set(item.key, cutAsPiece(item, shapes[i]!)));
    const lays = plan.lays.map((lay) => ({
      ...lay,
      cuts: [],
      placed: [
        ...lay.placed,
        ...ofCuts
          .filter(({ stock }) => stock === lay.stock)
          .map(({ key, x, y }) => ({ piece: key, copy: 1, x, y, turn: 0 })),
      ],
    }));
    const whole: LayJob = { ...job, strips: [], pieces: [...job.pieces, ...cuts.values()] };
    return (this.held = new LayTable(whole, { ...plan, lays }));
  }
}

const copyOf = ({ id, copy, cut }: HandItem) => `${cut === null ? 'piece' : 'strip'} ${pieceKey(id, copy)}`;

/** An item in the terms of the table of pieces. */
const asPiece = ({ key, id, copy, cut }: HandItem) => (cut === null ? { piece: id, copy } : { piece: key, copy: 1 });

const labelOf = (item: HandItem) => {
  const { piece, copy } = asPiece(item);
  return `${piece} ${copy}`;
};

function cutAsPiece({ key, x, y, width, height }: HandItem, { outline }: StripCut): LayPiece {
  const ring = outline.map(([cx, cy]): Point => [cx - x, cy - y]);
  const isRectangle = ring.every(([cx, cy]) => (cx === 0 || cx === width) && (cy === 0 || cy === height));
  return { id: key, qty: 1, width, height, outline: isRectangle ? null : ring, turns: [0], match: null };
}

import type { Nm } from '../../../length';
import type { NoFitPolygons, Shape } from '../../geometry/no-fit-polygons';
import type { LayJob } from '../../model/job';
import type { ChainLay } from '../../search/part-classes';
import { doubleArea } from '../../model/outline';
import type { LayPart } from '../../model/parts';
import type { Random } from '../../search/random';
import type { ShapeSet } from '../../geometry/shapes';
import { NOWHERE, ordersFrom, unseen, type Move, type Order, type Reach, type Sector, type State } from './beam-states';
import { edgeAt, NEAR, normal, ROUND, Starts, TURN, type Corner, type Start } from './start-corners';

/** How deep (nm) parts may lie in each other: less than the format compares to. */
const SLACK = 1_000;
/** Laid parts count beside the bits of evidence: a mean part as one bit. */
const LARGE_FIRST = 2;
const NOISE = 3;
/** Candidates for a corner are kept for this many more parts. */
const STALE = 6;
/** States of a level whose moves are sorted at a time, in widths of the beam: those that follow must be better than what is kept. */
const SORTED = 8;

/**
 * A beam search for a lay of outlines that leaves nothing over. Where the free cloth has a corner that points outward, one
 * of the parts must have a corner there, with an edge along the one side of it; they are filled one after another in a given
 * order, and a state with a corner that none can fill is dropped. Of the states with equally many parts the most believable
 * are kept: a corner of a part that meets another one, or an edge that runs along one in a direction that few edges have, is
 * hardly there by chance. What one order does not find another often does.
 */
export class OutlineBeam {
  private readonly shapes: readonly Shape[];
  private readonly turnOf: readonly number[];
  private readonly clearances: NoFitPolygons;
  private readonly corners: readonly Corner[][];
  private readonly members: readonly number[][];
  private readonly areas: number[];
  private readonly starts: Starts;
  private readonly width: Nm;
  private readonly left: Nm;
  /** The area of all parts (nm²). */
  readonly area: number;
  private readonly meanArea: number;
  /** The boxes of what a state has laid, the last first: x0, y0, x1, y1. */
  private readonly boxes: Float64Array;
  /** How far any start reaches. */
  private readonly furthest: Reach;
  /** The most parts that a lay had so far. */
  reached = 0;
  /** The orders of filling that are worth trying. */
  readonly orders: readonly Order[];

  constructor(
    job: LayJob,
    private readonly parts: readonly LayPart[],
    { shapes, turnOf, ways, clearances }: ShapeSet,
    private readonly random: Random,
  ) {
    this.shapes = shapes;
    this.turnOf = turnOf;
    this.clearances = clearances;
    this.areas = shapes.map(({ ring }) => Math.abs(doubleArea(ring)) / 2);
    this.left = job.stock[0]!.left;
    this.width = job.stock[0]!.right - this.left;
    this.starts = new Starts(shapes, ways, this.width);
    this.corners = this.starts.corners;
    this.members = this.starts.members;
    this.area = ways.reduce((sum, [shape]) => sum + this.areas[shape!]!, 0);
    this.meanArea = this.area / parts.length;
    this.boxes = new Float64Array(4 * parts.length);
    this.furthest = this.reachOf(this.starts.all);
    // Where all parts may lie upside down, a lay may too: then one side is as good as the one across from it.
    const isEven = parts.every(
      ({ outlines }) => outlines?.turns.every((turn) => outlines.turns.includes((turn + 180) % 360)) ?? true,
    );
    this.orders = ordersFrom(isEven ? [1, 0] : [1, 0, 3, 2]);
  }

  /** False when all corners lie on a grid that a length (nm) is not on: no lay can end there. */
  canEndAt(length: Nm): boolean {
    return this.starts.canEndAt(length);
  }

  /**
   * Looks for a lay of `target` nm with at most `width` states at a time, filling one free corner after another in an order;
   * yields how many states it has looked at. Null when it finds none.
   */
  *run(target: Nm, width: number, order: Order): Generator<number, ChainLay | null, void> {
    let states: State[] = [this.empty(target)];
    for (let level = 0; level < this.parts.length; level++) {
      let moves: Move[] = [];
      let least = -Infinity;
      const keep = (count: number) => {
        moves.sort((a, b) => b.rank - a.rank);
        if (moves.length < count) return;
        moves = moves.slice(0, count);
        least = moves.at(-1)!.rank;
      };
      let looked = 0;
      for (const state of states) {
        this.movesOf(state, target, order, moves, least);
        if (moves.length > SORTED * width) keep(4 * width);
        if (++looked % 32 === 0) yield 32;
      }
      yield looked % 32;
      keep(4 * width);
      const next = new Map<number, State>();
      for (const move of moves) {
        const state = this.place(move, target);
        if (!state) continue;
        const twin = next.get(state.hash);
        if (!twin || twin.rank < state.rank) next.set(state.hash, state);
        if (next.size >= width) break;
      }
      states = [...next.values()];
      if (states.length === 0) return null;
      this.reached = Math.max(this.reached, level + 1);
    }
    return this.unfold(states[0]!);
  }

  private empty(target: Nm): State {
    const { width } = this;
    const quarter = Math.PI / 2;
    const sectors = [
      unseen(0, 0, 0, quarter),
      unseen(width, 0, quarter, quarter),
      unseen(width, target, 2 * quarter, quarter),
      unseen(0, target, 3 * quarter, quarter),
    ];
    const counts = this.members.map(({ length }) => length);
    return {
      parent: null,
      count: 0,
      counts,
      sectors,
      shape: -1,
      kind: -1,
      x: 0,
      y: 0,
      area: 0,
      score: 0,
      rank: 0,
      hash: 0,
    };
  }

  /** The parts that a state has laid, the last first; their boxes are in `boxes` from then on. */
  private gather(state: State): readonly State[] {
    const placed: State[] = [];
    for (let s = state; s.parent; s = s.parent) {
      const { width, height } = this.shapes[s.shape]!;
      const k = 4 * placed.length;
      placed.push(s);
      this.boxes[k] = s.x;
      this.boxes[k + 1] = s.y;
      this.boxes[k + 2] = s.x + width;
      this.boxes[k + 3] = s.y + height;
    }
    return placed;
  }

  /**
   * The ways to go on from a state that rank above `least`: what has room at the free corner that is next; none when there is a
   * corner without.
   */
  private movesOf(state: State, target: Nm, order: Order, moves: Move[], least: number) {
    const placed = this.gather(state);
    let first: Sector | null = null;
    for (let i = 0; i < state.sectors.length; i++) {
      const known = state.sectors[i]!;
      if (known.angle >= Math.PI - TURN) continue;
      const sector = this.lookedAt(known, state, placed, target);
      if (sector.fits!.length === 0) return;
      state.sectors[i] = sector;
      if (this.isBefore(sector, first, order)) first = sector;
    }
    if (!first) return;
    const chance = Math.log2(first.fits!.length);
    for (const start of first.fits!) {
      const corner = this.corners[start.shape]![start.corner]!;
      const [x, y] = [Math.round(first.x - corner.x), Math.round(first.y - corner.y)];
      const large = (LARGE_FIRST * (state.area + this.areas[start.shape]!)) / this.meanArea;
      const evidence = this.evidence(state, start, x, y);
      const rank = state.score - chance + evidence + large + NOISE * this.random.next();
      if (rank > least) moves.push({ state, start, x, y, rank, chance });
    }
  }

  /** Which of two free corners is filled first. */
  private isBefore(sector: Sector, other: Sector | null, { heading, isFlipped, byChoice }: Order): boolean {
    if (byChoice && normal((heading * Math.PI) / 2 - sector.from) > sector.angle + TURN) return false;
    if (!other) return true;
    if (byChoice && sector.fits!.length !== other.fits!.length) return sector.fits!.length < other.fits!.length;
    const [dx, dy] = [sector.x - other.x, sector.y - other.y];
    const isAlong = heading % 2 === 1;
    const ahead = (isAlong ? dy : dx) * (heading < 2 ? 1 : -1);
    if (Math.abs(ahead) > NEAR) return ahead < 0;
    return (isAlong ? dx : dy) * (isFlipped ? -1 : 1) < 0;
  }

  /** Evidence for a move (bits): corners that meet others, and edges that then run along others. */
  private evidence(state: State, { shape }: Start, x: Nm, y: Nm): number {
    const corners = this.corners[shape]!;
    const { width: w, height: h } = this.shapes[shape]!;
    let bits = 0;
    for (const free of state.sectors) {
      const [px, py] = [free.x - x, free.y - y];
      if (px < -NEAR || py < -NEAR || px > w + NEAR || py > h + NEAR) continue;
      for (const corner of corners) {
        if (Math.abs(corner.x - px) > NEAR || Math.abs(corner.y - py) > NEAR) continue;
        const before = normal(corner.out - free.from);
        if (before > free.angle - TURN) continue;
        bits += this.starts.cornerBits;
        if (before <= TURN) bits += corner.outBits / 2;
        if (free.angle - before - corner.angle <= TURN) bits += corner.inBits / 2;
      }
    }
    return bits;
  }

  /** A free corner with the starts that have room there: of those known from an earlier state what still has. */
  private lookedAt(sector: Sector, state: State, placed: readonly State[], target: Nm): Sector {
    const { counts, count } = state;
    const { x, y, from, angle, fits: known, reach } = sector;
    if (known) {
      const near = this.nearest(count - sector.count, sector, reach);
      const hasRoom = (start: Start) => counts[start.kind]! > 0 && this.isFree(placed, near, sector, start);
      const lost = known.findIndex((start) => !hasRoom(start));
      if (lost < 0) return count - sector.count < STALE ? sector : { ...sector, count };
      const fits = known.filter((start, k) => k < lost || (k > lost && hasRoom(start)));
      return { x, y, from, angle, fits, count, reach };
    }
    const near = this.nearest(count, sector, this.furthest);
    const fits: Start[] = [];
    this.starts.each(counts, from, angle, (start) => {
      if (this.isWithin(sector, start, target) && this.isFree(placed, near, sector, start)) fits.push(start);
      return true;
    });
    return { x, y, from, angle, fits, count, reach: this.reachOf(fits) };
  }

  /** Which of the last parts that were laid, so many of them, lie in reach of a point. */
  private nearest(last: number, { x, y }: Sector, [left, down, right, up]: Reach): readonly number[] {
    const { boxes } = this;
    const near: number[] = [];
    for (let k = 0; k < last; k++) {
      const b = 4 * k;
      if (boxes[b]! < x + right && boxes[b + 2]! > x - left && boxes[b + 1]! < y + up && boxes[b + 3]! > y - down)
        near.push(k);
    }
    return near;
  }

  /** How far starts reach from the corner where they begin. */
  private reachOf(starts: readonly Start[]): Reach {
    let [left, down, right, up] = NOWHERE;
    for (const { shape, corner } of starts) {
      const { x, y } = this.corners[shape]![corner]!;
      const { width, height } = this.shapes[shape]!;
      left = Math.max(left, x);
      down = Math.max(down, y);
      right = Math.max(right, width - x);
      up = Math.max(up, height - y);
    }
    return [left, down, right, up];
  }

  /** Tells whether a start lies on the cloth. */
  private isWithin(at: Sector, { shape, corner }: Start, target: Nm): boolean {
    const from = this.corners[shape]![corner]!;
    const { width, height } = this.shapes[shape]!;
    const x = at.x - from.x;
    const y = at.y - from.y;
    return x >= -NEAR && y >= -NEAR && x + width <= this.width + NEAR && y + height <= target + NEAR;
  }

  /** Tells whether a start has room beside some of the parts that were laid. */
  private isFree(placed: readonly State[], some: readonly number[], at: Sector, { shape, corner }: Start): boolean {
    const { shapes, clearances, boxes } = this;
    const from = this.corners[shape]![corner]!;
    const x = Math.round(at.x - from.x);
    const y = Math.round(at.y - from.y);
    const right = x + shapes[shape]!.width;
    const top = y + shapes[shape]!.height;
    for (let i = 0; i < some.length; i++) {
      const k = some[i]!;
      const b = 4 * k;
      if (boxes[b]! >= right || boxes[b + 2]! <= x || boxes[b + 1]! >= top || boxes[b + 3]! <= y) continue;
      const other = placed[k]!;
      if (clearances.overlaps(other.shape, shape, x - other.x, y - other.y, SLACK)) return false;
    }
    return true;
  }

  /** The state after a move; null where it leaves a corner that none can fill. */
  private place({ state, start, x, y, rank, chance }: Move, target: Nm): State | null {
    const { shapes } = this;
    const { kind, shape } = start;
    const corners = this.corners[shape]!;
    const { width: w, height: h } = shapes[shape]!;
    const near: State[] = [];
    for (let other = state; other.parent; other = other.parent) {
      const { width: ow, height: oh } = shapes[other.shape]!;
      if (other.x <= x + w + NEAR && other.x + ow >= x - NEAR && other.y <= y + h + NEAR && other.y + oh >= y - NEAR)
        near.push(other);
    }
    const counts = state.counts.slice();
    counts[kind]!--;
    const sectors: Sector[] = [];
    const fresh: Sector[] = [];
    const met = new Set<number>();
    let score = state.score - this.starts.cornerBits - chance;
    /** Takes an angle out of what is free; false when it is not free. */
    const takeOut = (free: Sector, { out, angle, outBits, inBits }: Omit<Corner, 'x' | 'y'>): boolean => {
      const before = normal(out - free.from);
      const after = free.angle - before - angle;
      if (after < -TURN) return false;
      if (before > TURN) fresh.push(unseen(free.x, free.y, free.from, before));
      else score += outBits / 2;
      if (after > TURN) fresh.push(unseen(free.x, free.y, normal(free.from + before + angle), after));
      else score += inBits / 2;
      return true;
    };
    for (const free of state.sectors) {
      const [px, py] = [free.x - x, free.y - y];
      if (px < -NEAR || py < -NEAR || px > w + NEAR || py > h + NEAR) {
        sectors.push(free);
        continue;
      }
      const k = corners.findIndex((corner) => Math.abs(corner.x - px) <= NEAR && Math.abs(corner.y - py) <= NEAR);
      const edge = k >= 0 ? -1 : edgeAt(corners, px, py);
      // Another free angle at the same point may be the one that it fills.
      const out = k >= 0 ? corners[k]!.out : edge >= 0 ? corners[edge]!.out : null;
      if (out === null || normal(out - free.from) > free.angle - TURN) {
        sectors.push(free);
        continue;
      }
      const { outBits } = corners[Math.max(k, edge)]!;
      if (!takeOut(free, k >= 0 ? corners[k]! : { out, angle: Math.PI, outBits, inBits: outBits })) return null;
      if (k < 0 || met.has(k)) continue;
      met.add(k);
      score += this.starts.cornerBits;
    }
    for (let k = 0; k < corners.length; k++) {
      if (met.has(k)) continue;
      const [px, py] = [x + corners[k]!.x, y + corners[k]!.y];
      const { out, angle } = corners[k]!;
      const wall = this.wallAt(px, py, target, near);
      if (wall === null) fresh.push(unseen(px, py, normal(out + angle), ROUND - angle));
      else if (!takeOut(unseen(px, py, wall, Math.PI), corners[k]!)) return null;
    }
    sectors.push(...fresh);
    for (const sector of fresh)
      if (!this.starts.canFill(counts, sector) || !this.starts.hasFloor(sectors, sector)) return null;
    const area = state.area + this.areas[shape]!;
    const hash =
      (state.hash +
        Math.imul(shape + 1, 0x9e3779b1) * 31 +
        Math.round(x / 5000) * 7919 +
        Math.round(y / 5000) * 104_729) %
      2 ** 50;
    return { parent: state, count: state.count + 1, counts, sectors, shape, kind, x, y, area, score, rank, hash };
  }

  /** The direction of the wall that a point lies on, what is free to its left; null in free cloth. */
  private wallAt(x: Nm, y: Nm, target: Nm, near: readonly State[]): number | null {
    if (y <= NEAR) return 0;
    if (x >= this.width - NEAR) return Math.PI / 2;
    if (y >= target - NEAR) return Math.PI;
    if (x <= NEAR) return 1.5 * Math.PI;
    for (const other of near) {
      const corners = this.corners[other.shape]!;
      const edge = edgeAt(corners, x - other.x, y - other.y);
      if (edge >= 0) return normal(corners[edge]!.out + Math.PI);
    }
    return null;
  }

  private unfold(state: State): ChainLay {
    const n = this.parts.length;
    const lay = {
      placed: state.count,
      stock: new Int32Array(n).fill(-1),
      x: new Float64Array(n),
      y: new Float64Array(n),
      turned: new Uint8Array(n),
    };
    const next = this.members.map(() => 0);
    for (let s = state; s.parent; s = s.parent) {
      const part = this.members[s.kind]![next[s.kind]!++]!;
      lay.stock[part] = 0;
      lay.x[part] = s.x + this.left;
      lay.y[part] = s.y;
      lay.turned[part] = this.turnOf[s.shape]!;
    }
    return lay;
  }
}

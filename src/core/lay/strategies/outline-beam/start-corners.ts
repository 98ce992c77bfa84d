import type { Nm } from '../../../length';
import type { Shape } from '../../geometry/no-fit-polygons';
import { greatestCommon } from '../../search/part-classes';
import type { Point } from '../../model/outline';

/** Corners this near (nm) to each other are one: outlines are rounded to a millionth of an inch, and the errors add up. */
export const NEAR = 1_500;
/** Angles that differ by less (radians) are one. */
export const TURN = 5e-5;
/** A full turn (radians). */
export const ROUND = 2 * Math.PI;
/** The finest grid across the cloth on which sums of edges are known. */
const FINEST = 2_000;
/** The share of the edges that must have a direction for sums in it to be worked out. */
const MANY = 0.1;

/** A corner of a shape: where it is, the direction of the edge that leaves it, and the angle within (radians). */
export interface Corner {
  x: Nm;
  y: Nm;
  out: number;
  angle: number;
  /** Evidence of an edge in the direction of the one that leaves it, and of the one that comes in (bits). */
  outBits: number;
  inBits: number;
}

/** A way to begin at a free corner: a kind's shape with this corner of it there. */
export interface Start {
  out: number;
  angle: number;
  kind: number;
  shape: number;
  corner: number;
}

/** Free angle round a point: counter-clockwise from `from` over `angle` radians. */
export interface FreeAngle {
  x: Nm;
  y: Nm;
  from: number;
  angle: number;
}

/** An angle within 0 to 2 pi; what is hardly less than a full turn is none. */
export function normal(angle: number): number {
  const turned = angle - ROUND * Math.floor(angle / ROUND);
  return turned > ROUND - TURN ? turned - ROUND : turned;
}

/**
 * All the ways to begin at a free corner: which kinds have a corner that suits its angle, with an edge along its one side;
 * and what lengths their edges can sum up to along a floor between two corners.
 */
export class Starts {
  readonly corners: Corner[][];
  /** The parts of each kind: those with the same shapes. */
  readonly members: number[][] = [];
  /** The evidence (bits) of a corner that meets another one. */
  readonly cornerBits: number;
  readonly all: Start[] = [];
  private readonly narrowest: number;
  private readonly step: Nm;
  /** For directions that many edges have, the lengths that edges in it can sum up to, in steps. */
  private readonly sums = new Map<number, Uint8Array>();

  /** `ways` names the shapes of each part by number; `width` (nm) is that of the cloth. */
  constructor(shapes: readonly Shape[], ways: readonly (readonly number[])[], width: Nm) {
    this.corners = shapes.map(({ ring }) => cornersOf(ring));
    const known = new Map<string, number>();
    ways.forEach((way, part) => {
      const key = way.join();
      let kind = known.get(key);
      if (kind === undefined) {
        known.set(key, (kind = this.members.length));
        this.members.push([]);
        for (const shape of way)
          this.corners[shape]!.forEach(({ out, angle }, corner) =>
            this.all.push({ out, angle, kind: kind!, shape, corner }),
          );
      }
      this.members[kind]!.push(part);
    });
    this.all.sort((a, b) => a.out - b.out);
    for (const corner of this.corners.flat()) {
      corner.outBits = this.rarityOf(corner.out);
      corner.inBits = this.rarityOf(corner.out + corner.angle + Math.PI);
    }
    this.narrowest = this.all.reduce((least, { angle }) => Math.min(least, angle), Infinity);
    const sides = this.corners.flat().flatMap(({ x, y }) => [x, y]);
    this.step = [width, ...sides].reduce(greatestCommon);
    this.cornerBits = Math.log2(width / Math.max(width / FINEST, this.step));
    if (width / this.step <= FINEST) this.gatherSums();
  }

  /** False when all corners lie on a grid that a length is not on: no lay can end there. */
  canEndAt(length: Nm): boolean {
    const over = length % this.step;
    return this.step <= 2 * NEAR || Math.min(over, this.step - over) <= NEAR;
  }

  private gatherSums() {
    const { step, all, members } = this;
    const times = new Map<number, number>();
    for (const { out } of all) times.set(Math.round(out / TURN), (times.get(Math.round(out / TURN)) ?? 0) + 1);
    for (const [direction, count] of times) {
      if (count < MANY * all.length) continue;
      const lengths = members.map(() => new Set<number>());
      for (const { out, kind, shape, corner } of all) {
        if (Math.round(out / TURN) !== direction) continue;
        const corners = this.corners[shape]!;
        const [a, b] = [corners[corner]!, corners[(corner + 1) % corners.length]!];
        lengths[kind]!.add(Math.round(Math.hypot(b.x - a.x, b.y - a.y) / step));
      }
      const reached = new Uint8Array(FINEST + 1);
      reached[0] = 1;
      lengths.forEach((some, kind) => {
        for (let copy = 0; copy < members[kind]!.length; copy++)
          for (let u = FINEST; u > 0; u--)
            if (!reached[u]) for (const one of some) if (u >= one && reached[u - one]) reached[u] = 1;
      });
      this.sums.set(direction, reached);
    }
  }

  /** False when the floor that begins at a corner ends at another one, and no edges sum up to its length. */
  hasFloor(free: readonly FreeAngle[], { x, y, from, angle }: FreeAngle): boolean {
    const sums = this.sums.get(Math.round((from < 0 ? from + ROUND : from) / TURN));
    if (!sums || angle >= Math.PI - TURN) return true;
    const [ux, uy] = [Math.cos(from), Math.sin(from)];
    let nearest = Infinity;
    let end: FreeAngle | null = null;
    for (const other of free) {
      const [dx, dy] = [other.x - x, other.y - y];
      const along = dx * ux + dy * uy;
      if (along <= NEAR || along > nearest + NEAR || Math.abs(dy * ux - dx * uy) > NEAR) continue;
      // Level parts beside each other are one floor.
      if (Math.abs(other.angle - Math.PI) < TURN && Math.abs(normal(other.from - from + 1) - 1) < TURN) continue;
      nearest = along;
      const isEnd = Math.abs(normal(other.from + other.angle - from - Math.PI + 1) - 1) < TURN;
      end = isEnd && other.angle < Math.PI - TURN ? other : null;
    }
    return !end || sums[Math.round(nearest / this.step)] === 1;
  }

  /** Calls back for each start that may lie along a free corner's one side; stops when told to. */
  each(counts: readonly number[], from: number, angle: number, accept: (start: Start) => boolean) {
    for (const [first, end] of this.along(from)) {
      for (let k = first; k < end; k++) {
        const start = this.all[k]!;
        if (counts[start.kind]! > 0 && start.angle <= angle + TURN && !accept(start)) return;
      }
    }
  }

  /** Where in the list those stand whose edge leaves in a direction: from and to, once more where that is about a full turn. */
  private along(direction: number): [number, number][] {
    const at = direction < 0 ? direction + ROUND : direction;
    return (at < TURN ? [at, at + ROUND] : at > ROUND - TURN ? [at, at - ROUND] : [at]).map((one) => [
      this.firstFrom(one - TURN),
      this.firstFrom(one + TURN),
    ]);
  }

  private firstFrom(direction: number): number {
    let [a, b] = [0, this.all.length];
    while (a < b) {
      const middle = (a + b) >> 1;
      if (this.all[middle]!.out < direction) a = middle + 1;
      else b = middle;
    }
    return a;
  }

  /** The evidence (bits) of an edge in a direction: the fewer have it, the more. */
  private rarityOf(direction: number): number {
    const same = this.along(normal(direction)).reduce((sum, [first, end]) => sum + end - first, 0);
    return Math.log2(this.all.length / Math.max(1, same));
  }

  /** Tells whether any start suits a free corner by its angle. */
  canFill(counts: readonly number[], { from, angle }: FreeAngle): boolean {
    if (angle < this.narrowest - TURN) return false;
    if (angle >= Math.PI - TURN) return true;
    let isFound = false;
    this.each(counts, from, angle, () => {
      isFound = true;
      return false;
    });
    return isFound;
  }
}

/** The corners of a counter-clockwise ring, without those where it goes straight on. */
function cornersOf(ring: readonly Point[]): Corner[] {
  return ring.flatMap(([x, y], k) => {
    const [px, py] = ring.at(k - 1)!;
    const [nx, ny] = ring[(k + 1) % ring.length]!;
    const out = normal(Math.atan2(ny - y, nx - x));
    const angle = normal(Math.atan2(py - y, px - x) - out);
    return Math.abs(angle - Math.PI) < TURN ? [] : [{ x, y, out, angle, outBits: 0, inBits: 0 }];
  });
}

/** The corner that the edge leaves on which a point lies, between its ends; -1 for none. */
export function edgeAt(corners: readonly Corner[], x: Nm, y: Nm): number {
  for (let k = 0; k < corners.length; k++) {
    const [a, b] = [corners[k]!, corners[(k + 1) % corners.length]!];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const length = Math.hypot(dx, dy);
    const along = ((x - a.x) * dx + (y - a.y) * dy) / length;
    const aside = ((y - a.y) * dx - (x - a.x) * dy) / length;
    if (Math.abs(aside) <= NEAR && along > NEAR && along < length - NEAR) return k;
  }
  return -1;
}

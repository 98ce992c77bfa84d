import type { Box } from '../model/box';
import { nextAcross, nextAlong, type Lattice } from '../../cloth';
import type { Nm } from '../../length';

/** How places are ranked: the lowest top edge, the lowest bottom edge, or the lowest bottom edge in the tightest width. */
export type SpaceRule = 'top' | 'bottom' | 'tight';

/** A place that was found; lower scores are better, ties go to the smaller `tie`. */
export interface Place {
  x: Nm;
  y: Nm;
  score: number;
  tie: number;
}

/** The free cloth of one length, as a placer needs it. Lengths in nm. */
export interface ClothSpace {
  /** Makes the whole length free again but for what is blocked, to be filled by a rule. */
  clear(rule?: SpaceRule): void;
  find(
    w: Nm,
    h: Nm,
    rule: SpaceRule,
    best: Place,
    phase: readonly [Nm, Nm] | null,
    lattice: Lattice | null,
    motif: readonly [Nm, Nm],
  ): void;
  take(ax: Nm, ay: Nm, bx: Nm, by: Nm): void;
}

export const nowhere = (): Place => ({ x: 0, y: 0, score: Infinity, tie: Infinity });

/** Makes a place the best one if it ranks before it: the lower edge that the rule asks for, then the tie. */
export function offer(x: Nm, y: Nm, h: Nm, slack: Nm, rule: SpaceRule, best: Place) {
  const score = rule === 'top' ? y + h : y;
  const tie = rule === 'tight' ? slack : x;
  if (score > best.score || (score === best.score && tie >= best.tie)) return;
  best.x = x;
  best.y = y;
  best.score = score;
  best.tie = tie;
}

const START = 64;
/** Most rectangles that are kept: beyond that, in lays of thousands of parts, those that end lowest are given up. */
const MOST_KEPT = 1_500;

/**
 * The free cloth of one length as the list of its maximal empty rectangles, which overlap each other. Taking a box
 * splits every rectangle that it meets into the up to four that remain, and drops those that lie within another.
 * So holes below and beside pieces that wait for their phase stay open for what comes later.
 */
export class FreeSpace implements ClothSpace {
  private x0 = new Float64Array(START);
  private y0 = new Float64Array(START);
  private x1 = new Float64Array(START);
  private y1 = new Float64Array(START);
  private count = 0;
  /** Kept between calls: the rectangles that a box meets, and the numbers of those that touch its sides. */
  private readonly met: number[] = [];
  private readonly beside: number[] = [];
  /** Free rectangles at first: x0, y0, x1, y1 of each. */
  private readonly fresh: Float64Array;

  /**
   * Free from (left, 0) to (right, top) nm but for what is blocked: flaws, and what lies outside an odd shape. Rectangles under leastWidth or
   * leastHeight are not kept: nothing fits there.
   */
  constructor(
    left: Nm,
    right: Nm,
    top: Nm,
    private readonly leastWidth: Nm,
    private readonly leastHeight: Nm,
    blocked: readonly Box[],
  ) {
    this.add(left, 0, right, top);
    for (const box of blocked) this.take(...box);
    const { x0, y0, x1, y1, count } = this;
    this.fresh = new Float64Array(4 * count);
    for (let i = 0; i < count; i++) this.fresh.set([x0[i]!, y0[i]!, x1[i]!, y1[i]!], 4 * i);
  }

  clear() {
    const { fresh } = this;
    this.count = 0;
    for (let i = 0; i < fresh.length; i += 4) this.add(fresh[i]!, fresh[i + 1]!, fresh[i + 2]!, fresh[i + 3]!);
  }

  private add(x0: Nm, y0: Nm, x1: Nm, y1: Nm) {
    if (this.count === this.x0.length) this.grow();
    const i = this.count++;
    this.x0[i] = x0;
    this.y0[i] = y0;
    this.x1[i] = x1;
    this.y1[i] = y1;
  }

  private grow() {
    for (const key of ['x0', 'y0', 'x1', 'y1'] as const) {
      const bigger = new Float64Array(this[key].length * 2);
      bigger.set(this[key]);
      this[key] = bigger;
    }
  }

  /**
   * Improves `best` with the best place for a box of w by h nm. With a phase, the box's lower left corner less the
   * motif point must have it; every column of the pattern in reach is tried, since a drop may let a later one start lower.
   */
  find(
    w: Nm,
    h: Nm,
    rule: SpaceRule,
    best: Place,
    phase: readonly [Nm, Nm] | null,
    lattice: Lattice | null,
    motif: readonly [Nm, Nm],
  ) {
    const { x0, y0, x1, y1, count } = this;
    for (let i = 0; i < count; i++) {
      const left = x0[i]!;
      const bottom = y0[i]!;
      const right = x1[i]!;
      if (right - left < w || y1[i]! - bottom < h) continue;
      const least = rule === 'top' ? bottom + h : bottom;
      if (least > best.score) continue;
      if (!phase || !lattice) {
        offer(left, bottom, h, right - left - w, rule, best);
        continue;
      }
      const [motifX, motifY] = motif;
      for (let x = motifX + nextAcross(left - motifX, phase[0], lattice); x + w <= right; x += lattice.across) {
        const y = motifY + nextAlong(x - motifX, bottom - motifY, phase, lattice);
        if (y + h <= y1[i]!) offer(x, y, h, right - left - w, rule, best);
        if (lattice.across === 0 || lattice.shift === 0) break;
      }
    }
  }

  /** The free rectangle of the largest area, or null where none is left. */
  largest(): Box | null {
    const { x0, y0, x1, y1, count } = this;
    let best: Box | null = null;
    let most = 0;
    for (let i = 0; i < count; i++) {
      const area = (x1[i]! - x0[i]!) * (y1[i]! - y0[i]!);
      if (area <= most) continue;
      most = area;
      best = [x0[i]!, y0[i]!, x1[i]!, y1[i]!];
    }
    return best;
  }

  /** Takes the box from (ax, ay) to (bx, by) nm out of the free cloth. */
  take(ax: Nm, ay: Nm, bx: Nm, by: Nm) {
    const { x0: X0, y0: Y0, x1: X1, y1: Y1, met, beside } = this;
    let kept = 0;
    let meets = 0;
    let besides = 0;
    for (let i = 0; i < this.count; i++) {
      const x0 = X0[i]!;
      const y0 = Y0[i]!;
      const x1 = X1[i]!;
      const y1 = Y1[i]!;
      if (ax < x1 && bx > x0 && ay < y1 && by > y0) {
        met[meets++] = x0;
        met[meets++] = y0;
        met[meets++] = x1;
        met[meets++] = y1;
        continue;
      }
      if (x1 === ax || x0 === bx || y1 === ay || y0 === by) beside[besides++] = kept;
      if (kept !== i) {
        X0[kept] = x0;
        Y0[kept] = y0;
        X1[kept] = x1;
        Y1[kept] = y1;
      }
      kept++;
    }
    this.count = kept;
    if (kept > 2 * MOST_KEPT) {
      this.giveUpLowest();
      besides = 0;
      for (let i = 0; i < this.count; i++)
        if (X1[i] === ax || X0[i] === bx || Y1[i] === ay || Y0[i] === by) beside[besides++] = i;
    }
    for (let k = 0; k < meets; k += 4) {
      const x0 = met[k]!;
      const y0 = met[k + 1]!;
      const x1 = met[k + 2]!;
      const y1 = met[k + 3]!;
      if (ax > x0) besides = this.keep(x0, y0, ax, y1, besides);
      if (bx < x1) besides = this.keep(bx, y0, x1, y1, besides);
      if (ay > y0) besides = this.keep(x0, y0, x1, ay, besides);
      if (by < y1) besides = this.keep(x0, by, x1, y1, besides);
    }
  }

  /** Keeps the rectangles that end highest. */
  private giveUpLowest() {
    const { x0, y0, x1, y1 } = this;
    const least = y1.slice(0, this.count).sort()[this.count - MOST_KEPT]!;
    let kept = 0;
    for (let i = 0; i < this.count; i++) {
      if (y1[i]! < least) continue;
      [x0[kept], y0[kept], x1[kept], y1[kept]] = [x0[i]!, y0[i]!, x1[i]!, y1[i]!];
      kept++;
    }
    this.count = kept;
  }

  /**
   * Adds what remains of a rectangle beside the box unless it is too small or lies within another one, and drops those
   * that lie within it. Only rectangles that touch the same side of the box can hold it: whatever holds it must
   * reach past the box's side or end there, and nothing that is still free reaches past. Returns the new number of `beside`.
   */
  private keep(x0: Nm, y0: Nm, x1: Nm, y1: Nm, besides: number): number {
    if (x1 - x0 < this.leastWidth || y1 - y0 < this.leastHeight) return besides;
    const { x0: X0, y0: Y0, x1: X1, y1: Y1, beside } = this;
    for (let k = 0; k < besides; k++) {
      const i = beside[k]!;
      if (X0[i]! <= x0 && Y0[i]! <= y0 && X1[i]! >= x1 && Y1[i]! >= y1) return besides;
    }
    for (let k = 0; k < besides; k++) {
      const i = beside[k]!;
      if (x0 <= X0[i]! && y0 <= Y0[i]! && x1 >= X1[i]! && y1 >= Y1[i]!) {
        // It takes the place of the one that lies within it; a second such one is left empty, so that it takes nothing.
        X0[i] = x0;
        Y0[i] = y0;
        X1[i] = x1;
        Y1[i] = y1;
        for (let m = k + 1; m < besides; m++) {
          const other = beside[m]!;
          if (x0 <= X0[other]! && y0 <= Y0[other]! && x1 >= X1[other]! && y1 >= Y1[other]!) X1[other] = X0[other]!;
        }
        return besides;
      }
    }
    beside[besides] = this.count;
    this.add(x0, y0, x1, y1);
    return besides + 1;
  }
}

import type { Box } from '../model/box';
import { nextAcross, nextAlong, type Lattice } from '../../cloth';
import type { Nm } from '../../length';
import { offer, type ClothSpace, type Place, type SpaceRule } from './free-space';

interface Rect {
  x0: Nm;
  y0: Nm;
  x1: Nm;
  y1: Nm;
}

/**
 * The free cloth of one length as rectangles that do not overlap, each cut off by edge-to-edge cuts: a box is placed in
 * one of them, and what remains of it is divided by straight cuts again. So whatever is placed can be freed by straight
 * (guillotine) cuts.
 */
export class GuillotineSpace implements ClothSpace {
  private rects: Rect[] = [];
  /** Tells whether the endless end is cut along first, into columns, instead of across, into rows. */
  private isByColumns = false;

  constructor(
    private readonly left: Nm,
    private readonly right: Nm,
    private readonly top: Nm,
    private readonly leastWidth: Nm,
    private readonly leastHeight: Nm,
    /** A flaw is not cut round: boxes just must not lie on it. */
    private readonly blocked: readonly Box[],
  ) {
    this.clear();
  }

  clear(rule: SpaceRule = 'top') {
    this.isByColumns = rule === 'tight';
    this.rects = [{ x0: this.left, y0: 0, x1: this.right, y1: this.top }];
  }

  find(
    w: Nm,
    h: Nm,
    rule: SpaceRule,
    best: Place,
    phase: readonly [Nm, Nm] | null,
    lattice: Lattice | null,
    motif: readonly [Nm, Nm],
  ) {
    for (const { x0, y0, x1, y1 } of this.rects) {
      if (x1 - x0 < w || y1 - y0 < h || (rule === 'top' ? y0 + h : y0) > best.score) continue;
      if (!phase || !lattice) {
        const at = this.clearOf(x0, y0, w, h, x1, y1);
        if (at) offer(at[0], at[1], h, x1 - x0 - w, rule, best);
        continue;
      }
      const [motifX, motifY] = motif;
      for (let x = motifX + nextAcross(x0 - motifX, phase[0], lattice); x + w <= x1; x += lattice.across) {
        const y = motifY + nextAlong(x - motifX, y0 - motifY, phase, lattice);
        if (y + h <= y1 && !this.isBlocked(x, y, w, h)) offer(x, y, h, x1 - x0 - w, rule, best);
        if (lattice.across === 0 || (lattice.shift === 0 && this.blocked.length === 0)) break;
      }
    }
  }

  private isBlocked(x: Nm, y: Nm, w: Nm, h: Nm): boolean {
    return this.blocked.some(([x0, y0, x1, y1]) => x < x1 && x + w > x0 && y < y1 && y + h > y0);
  }

  /** The first place in a rectangle, lowest first, that is off the flaws; only corners at flaws' ends are tried. */
  private clearOf(x0: Nm, y0: Nm, w: Nm, h: Nm, x1: Nm, y1: Nm): [Nm, Nm] | null {
    if (!this.isBlocked(x0, y0, w, h)) return [x0, y0];
    const xs = [x0, ...this.blocked.map(([, , end]) => end).filter((x) => x > x0 && x + w <= x1)];
    const ys = [y0, ...this.blocked.map(([, , , end]) => end).filter((y) => y > y0 && y + h <= y1)].sort(
      (a, b) => a - b,
    );
    for (const y of ys) for (const x of xs) if (!this.isBlocked(x, y, w, h)) return [x, y];
    return null;
  }

  /** Takes a box out of the rectangle that holds it: cuts off what lies below and left, then above and right. */
  take(ax: Nm, ay: Nm, bx: Nm, by: Nm) {
    const k = this.rects.findIndex(({ x0, y0, x1, y1 }) => x0 <= ax && y0 <= ay && x1 >= bx && y1 >= by);
    const { x0, y0, x1, y1 } = this.rects[k]!;
    this.rects.splice(k, 1);
    this.keep({ x0, y0, x1, y1: ay });
    this.keep({ x0, y0: ay, x1: ax, y1: y1 === Infinity && !this.isByColumns ? by : y1 });
    if (y1 === Infinity && this.isByColumns) {
      this.keep({ x0: bx, y0: ay, x1, y1 });
      this.keep({ x0: ax, y0: by, x1: bx, y1 });
      return;
    }
    if (y1 === Infinity) {
      // The end of the cloth is cut across in one go, the row is divided after.
      this.keep({ x0, y0: by, x1, y1 });
      this.keep({ x0: bx, y0: ay, x1, y1: by });
      return;
    }
    // Prefer the way to go on that leaves the larger rectangle in one piece.
    const [aboveFirst, rightFirst] = [
      Math.max((x1 - ax) * (y1 - by), (x1 - bx) * (by - ay)),
      Math.max((x1 - bx) * (y1 - ay), (bx - ax) * (y1 - by)),
    ];
    if (aboveFirst >= rightFirst) {
      this.keep({ x0: ax, y0: by, x1, y1 });
      this.keep({ x0: bx, y0: ay, x1, y1: by });
    } else {
      this.keep({ x0: bx, y0: ay, x1, y1 });
      this.keep({ x0: ax, y0: by, x1: bx, y1 });
    }
  }

  private keep(rect: Rect) {
    if (rect.x1 - rect.x0 >= this.leastWidth && rect.y1 - rect.y0 >= this.leastHeight) this.rects.push(rect);
  }
}

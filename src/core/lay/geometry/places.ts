import { nextAcross, nextAlong } from '../../cloth';
import type { Nm } from '../../length';
import { Bands } from './bands';
import type { Columns, Profile } from './columns';
import { endlessOf, type LayJob } from '../model/job';
import type { Phase } from '../search/phase-tracker';
import type { Random } from '../search/random';

/** Places tried across the cloth for an outline at first. */
const ROW = 14;
/** Added to the height of a place above the target, so that it ranks behind all below it. */
const OVER = 1e15;

/** A part of a length that was made free: from x0 to x1 across, from y0 up. */
export interface Window {
  stock: number;
  x0: Nm;
  x1: Nm;
  y0: Nm;
}

/** Where a part lies, its margin with it: nm, and quarter turns. */
export interface RankedSpot {
  stock: number;
  x: Nm;
  y: Nm;
  turned: number;
}

/**
 * The best place for a part in what is free of the cloth: beside others, at the places across that hold its phase, or at
 * steps for an outline; each at its lowest there. Ranked by how low it is, or by how much of the part's edge touches others.
 */
export class Places {
  /** The length (nm) that the endless cloth is to end at. */
  target: Nm = Infinity;
  /** No more places beside others than about that are looked at in each opening. */
  mostLooked = Infinity;
  /** Tells whether places are ranked by how much of the part's edge touches others, or by how low they are. */
  byTouch = false;
  /** The best place that a look round has found: lower scores first, then lower ties. */
  private readonly best = { stock: -1, x: 0, y: 0, turned: 0, score: Infinity, tie: Infinity };
  private sides = new Float64Array(256);
  private readonly margin: Nm;
  private readonly endless: number;
  private isRightFirst = false;
  private blinks = false;

  constructor(
    private readonly job: LayJob,
    private readonly spaces: readonly (Columns | Bands)[],
    /** The step across (nm) for outlines. */
    private readonly step: Nm,
    private readonly random: Random,
  ) {
    this.margin = Math.ceil(job.gap / 2);
    this.endless = endlessOf(job.stock);
  }

  /**
   * The best place of a part whose profiles by quarter turns are given, null when there is none. `blinks` passes over a place
   * now and then; `near` looks only there on its length.
   */
  find(
    profiles: readonly (Profile | null)[],
    phase: Phase | null,
    blinks: boolean,
    near: Window | null,
  ): RankedSpot | null {
    const { random, best } = this;
    best.score = best.tie = Infinity;
    for (let k = 0; k < this.spaces.length; k++) {
      if (near && k !== near.stock && k !== this.endless) continue;
      for (let turned = 0; turned < 4; turned++) {
        const profile = profiles[turned];
        if (!profile || (profile.low && blinks && random.next() < 0.4)) continue;
        this.isRightFirst = blinks && random.next() < 0.3;
        this.blinks = blinks;
        const window = near !== null && k === near.stock ? near : null;
        if (profile.low && !phase) this.lookAtSteps(k, profile, turned, window);
        else this.lookInOpenings(k, profile, turned, phase, window);
      }
      // The first length that has a place at all, unless the place is to fit best.
      if (best.score < Infinity && !this.byTouch) break;
    }
    return best.score === Infinity ? null : { stock: best.stock, x: best.x, y: best.y, turned: best.turned };
  }

  /** Looks for places wherever there may be any. */
  private lookInOpenings(k: number, profile: Profile, turned: number, phase: Phase | null, near: Window | null) {
    const space = this.spaces[k]!;
    const { width, height } = profile;
    const isAcross = phase !== null && this.job.lattice !== null && this.job.lattice.across > 0;
    const lowest = near ? Math.max(-this.margin, Math.floor(near.y0) - height) : -this.margin;
    const { opening } = space;
    space.startLooking(width, height);
    while (space.nextOpening()) {
      const highest = this.highest(k, height);
      if (opening.from > highest) break;
      const least = Math.max(lowest, opening.from);
      if (least > Math.min(highest, opening.to)) continue;
      const from = near ? Math.max(opening.left, near.x0 - width) : opening.left;
      const to = near ? Math.min(opening.right, near.x1 + width) : opening.right;
      if (isAcross) this.lookAtPhase(k, profile, turned, phase, from, to, least, opening.to);
      else this.lookAtSides(k, profile, turned, phase, from, to, least, opening.to, near !== null);
    }
  }

  /** How high (nm) a part of that height may lie at most to be better than the best place so far. */
  private highest(k: number, height: Nm): Nm {
    const { best, byTouch, margin, target } = this;
    if (!byTouch) return best.score - height;
    // Only below the target does it count how well a part fits; above it, how low it lies.
    if (k !== this.endless) return Infinity;
    return (best.score < OVER ? target + margin : best.score - OVER) - height;
  }

  /** Takes the lowest place at x between `least` and `most` if it is the best so far. */
  private tryAt(k: number, x: Nm, profile: Profile, turned: number, phase: Phase | null, least: Nm, most: Nm) {
    const { best } = this;
    if (this.blinks && this.random.next() < 0.02) return;
    const { height } = profile;
    const limit = Math.min(most, this.highest(k, height));
    const space = this.spaces[k]!;
    const every = phase && this.job.lattice ? this.job.lattice.along : 0;
    const y = space.lowestAt(x, profile, least, limit, every > 0 ? this.restAt(k, x, phase!) : 0, every);
    if (y > limit || y === Infinity) return;
    const top = y + height;
    let score = top;
    if (this.byTouch && space instanceof Bands) {
      if (k === this.endless && top - this.margin > this.target) score = OVER + top;
      else score = -space.touching(x, y, profile) / (profile.width + height);
      if (score > best.score) return;
    }
    const tie = this.isRightFirst ? -x : x;
    if (score < best.score || tie < best.tie) {
      best.stock = k;
      best.x = x;
      best.y = y;
      best.turned = turned;
      best.score = score;
      best.tie = tie;
    }
  }

  /** Every place across that holds the phase. */
  private lookAtPhase(
    k: number,
    profile: Profile,
    turned: number,
    phase: Phase,
    from: Nm,
    to: Nm,
    least: Nm,
    most: Nm,
  ) {
    const { motif } = this.job.stock[k]!;
    const lattice = this.job.lattice!;
    const m = this.margin;
    for (
      let x = motif[0] + nextAcross(from + m - motif[0], phase[0], lattice) - m;
      x + profile.width <= to;
      x += lattice.across
    )
      this.tryAt(k, x, profile, turned, phase, least, most);
  }

  /** Places beside others. */
  private lookAtSides(
    k: number,
    profile: Profile,
    turned: number,
    phase: Phase | null,
    from: Nm,
    to: Nm,
    least: Nm,
    most: Nm,
    isNear: boolean,
  ) {
    const space = this.spaces[k]!;
    if (space.mostPlaces > this.sides.length) this.sides = new Float64Array(2 * space.mostPlaces);
    const { sides } = this;
    const count = space.placesFor(profile.width, from, to, sides);
    const share = isNear || !this.blinks ? 1 : this.mostLooked / count;
    for (let p = 0; p < count; p++)
      if (share >= 1 || this.random.next() < share) this.tryAt(k, sides[p]!, profile, turned, phase, least, most);
  }

  /** For an outline, places along a coarse row of steps, then finer ones about the best of them. */
  private lookAtSteps(k: number, profile: Profile, turned: number, near: Window | null) {
    const { step, best } = this;
    const space = this.spaces[k]!;
    const start = space.left;
    const count = Math.floor((space.right - start - profile.width) / step);
    if (count < 0) return;
    const least = near ? Math.max(-this.margin, Math.floor(near.y0) - profile.height) : -this.margin;
    const tryAt = (x: Nm) => {
      if (!near || (x + profile.width >= near.x0 && x <= near.x1))
        this.tryAt(k, x, profile, turned, null, least, Infinity);
    };
    const stride = 2 ** Math.max(0, Math.floor(Math.log2(count / ROW)));
    for (let c = this.random.below(stride); c <= count; c += stride) tryAt(start + c * step);
    for (let finer = stride / 2; finer >= 1; finer /= 2) {
      if (best.score === Infinity || best.turned !== turned) return;
      const { x } = best;
      if (x - finer * step >= start) tryAt(x - finer * step);
      if (x + finer * step + profile.width <= space.right) tryAt(x + finer * step);
    }
  }

  /** Where along the cloth a part that lies at x holds its phase: there, and a repeat further each time. */
  private restAt(k: number, x: Nm, phase: Phase): Nm {
    const [motifX, motifY] = this.job.stock[k]!.motif;
    const m = this.margin;
    // Up to a whole nanometre, never down: below it there is no room.
    return Math.ceil(motifY + nextAlong(x + m - motifX, 0, phase, this.job.lattice!) - 1e-3) - m;
  }
}

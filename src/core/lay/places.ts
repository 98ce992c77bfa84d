import { nextAcross, nextAlong } from '../cloth';
import type { Nm } from '../length';
import { Bands } from './bands';
import type { Columns, Lift, Profile } from './columns';
import type { LayJob } from './job';
import type { Phase } from './placing';
import type { Random } from './random';

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
export interface Spot {
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
  /** No more places beside others than about that are looked at on each length. */
  mostLooked = Infinity;
  /** Whether places are ranked by how much of the part's edge touches others, or by how low they are. */
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
    this.endless = job.stock.findIndex(({ length }) => length === Infinity);
  }

  /**
   * The best place of a part whose profiles by quarter turns are given, null when there is none. `blinks` passes over a place
   * now and then; `near` looks only there on its length.
   */
  find(profiles: readonly (Profile | null)[], phase: Phase | null, blinks: boolean, near: Window | null): Spot | null {
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
        if (phase && this.job.lattice && this.job.lattice.across > 0)
          this.lookAtPhase(k, profile, turned, phase, window);
        else if (!profile.low) this.lookAtSides(k, profile, turned, this.liftAt(k, phase), window);
        if (profile.low && !phase) this.lookAtSteps(k, profile, turned, window);
      }
      // The first length that has a place at all, unless the place is to fit best.
      if (best.score < Infinity && !this.byTouch) break;
    }
    return best.score === Infinity ? null : { stock: best.stock, x: best.x, y: best.y, turned: best.turned };
  }

  /** Takes the lowest place at x if it is the best so far. */
  private tryAt(k: number, x: Nm, profile: Profile, turned: number, lift: Lift | null, near: Window | null) {
    const { best } = this;
    if (this.blinks && this.random.next() < 0.02) return;
    if (near && (x + profile.width < near.x0 || x > near.x1)) return;
    const least = near ? Math.max(-this.margin, Math.floor(near.y0) - profile.height) : -this.margin;
    const { height } = profile;
    const { endless, margin, target } = this;
    // Only below the target does it count how well a part fits; above it, how low it lies.
    const isEndless = k === endless;
    const most =
      this.byTouch && isEndless && best.score < OVER ? target + margin : best.score - (this.byTouch ? OVER : 0);
    const limit = this.byTouch && !isEndless ? Infinity : most - height;
    const space = this.spaces[k]!;
    const y = space.lowestAt(x, profile, least, limit, lift);
    if (y > limit || y === Infinity) return;
    const top = y + height;
    let score = top;
    if (this.byTouch && space instanceof Bands) {
      if (isEndless && top - margin > target) score = OVER + top;
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
  private lookAtPhase(k: number, profile: Profile, turned: number, phase: Phase, near: Window | null) {
    const { left, motif } = this.job.stock[k]!;
    const lattice = this.job.lattice!;
    const space = this.spaces[k]!;
    const lift = this.liftAt(k, phase)!;
    const m = this.margin;
    for (
      let x = motif[0] + nextAcross(left - motif[0], phase[0], lattice) - m;
      x + profile.width <= space.right;
      x += lattice.across
    )
      this.tryAt(k, x, profile, turned, lift && lift(x), near);
  }

  /** Places beside others. */
  private lookAtSides(
    k: number,
    profile: Profile,
    turned: number,
    lift: ((x: Nm) => Lift) | null,
    near: Window | null,
  ) {
    const space = this.spaces[k]!;
    if (space.mostPlaces > this.sides.length) this.sides = new Float64Array(2 * space.mostPlaces);
    const { sides } = this;
    const count = space.placesFor(profile.width, sides);
    const share = near || !this.blinks ? 1 : this.mostLooked / count;
    for (let p = 0; p < count; p++)
      if (share >= 1 || this.random.next() < share)
        this.tryAt(k, sides[p]!, profile, turned, lift && lift(sides[p]!), near);
  }

  /** For an outline, places along a coarse row of steps, then finer ones about the best of them. */
  private lookAtSteps(k: number, profile: Profile, turned: number, near: Window | null) {
    const { step, best } = this;
    const space = this.spaces[k]!;
    const start = space.left;
    const count = Math.floor((space.right - start - profile.width) / step);
    if (count < 0) return;
    const tryAt = (x: Nm) => this.tryAt(k, x, profile, turned, null, near);
    const stride = 2 ** Math.max(0, Math.floor(Math.log2(count / ROW)));
    for (let c = this.random.below(stride); c <= count; c += stride) tryAt(start + c * step);
    for (let finer = stride / 2; finer >= 1; finer /= 2) {
      if (best.score === Infinity || best.turned !== turned) return;
      const { x } = best;
      if (x - finer * step >= start) tryAt(x - finer * step);
      if (x + finer * step + profile.width <= space.right) tryAt(x + finer * step);
    }
  }

  /** For each place across, what lifts a part that lies there to its phase; null when it holds none. */
  private liftAt(k: number, phase: Phase | null): ((x: Nm) => Lift) | null {
    const { lattice, stock } = this.job;
    if (!phase || !lattice || lattice.along === 0) return null;
    const [motifX, motifY] = stock[k]!.motif;
    const m = this.margin;
    // Up to a whole nanometre, never down: below it there is no room.
    return (x) => (y) => Math.ceil(motifY + nextAlong(x + m - motifX, y + m - motifY, phase, lattice) - 1e-3) - m;
  }
}

import type { Nm } from '../../../length';
import type { FreeAngle, Start } from './start-corners';

/** A free corner with what is known of it. */
export interface Sector extends FreeAngle {
  /** The starts that had room there when `count` parts were laid; null when nobody has looked. */
  fits: readonly Start[] | null;
  count: number;
  /** How far those starts reach from the corner (nm): left, down, right and up. */
  reach: Reach;
}

/** How far something reaches from a point (nm): left, down, right and up. */
export type Reach = readonly [number, number, number, number];
export const NOWHERE: Reach = [0, 0, 0, 0];

/** A part that might come next, and how much speaks for it. */
export interface Move {
  state: State;
  start: Start;
  x: Nm;
  y: Nm;
  rank: number;
  /** Evidence against it (bits): the more parts suit the corner, the likelier one does by chance. */
  chance: number;
}

/** A free corner that nobody has looked at yet. */
export const unseen = (x: Nm, y: Nm, from: number, angle: number): Sector => ({
  x,
  y,
  from,
  angle,
  fits: null,
  count: 0,
  reach: NOWHERE,
});

/** A lay of some of the parts: its last part, and the state that it was laid in. */
export interface State {
  parent: State | null;
  count: number;
  /** How many parts of each kind are left. */
  counts: readonly number[];
  sectors: Sector[];
  shape: number;
  kind: number;
  x: Nm;
  y: Nm;
  area: number;
  score: number;
  rank: number;
  hash: number;
}

/** In which order free corners are filled. */
export interface Order {
  /** From which side of the cloth on, in quarter turns: to the right, along the cloth, to the left, back. */
  heading: number;
  /** Ties go to the corner to the right or further along. */
  isFlipped: boolean;
  /** Prefer the open corner that the fewest parts suit, not the one that is the least far on. */
  byChoice: boolean;
}

/** The orders that begin at given sides of the cloth. */
export const ordersFrom = (headings: readonly number[]): Order[] =>
  [true, false].flatMap((isFlipped) =>
    headings.flatMap((heading) => [true, false].map((byChoice) => ({ heading, isFlipped, byChoice }))),
  );

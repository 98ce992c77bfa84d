import type { Point } from '../lay';
import type { Nm } from '../length';

/**
 * One step of a cutter:
 * `square` the end; cut `across` the whole width; `stack` alike sections or `fold` one lengthwise; `part` a block from the rest of its
 * section; cut out a `piece` (or a run of alike ones) with straight cuts; cut a run of `strips`; cut `around` what no straight cut frees.
 */
export type CutDoing = 'square' | 'across' | 'stack' | 'fold' | 'part' | 'piece' | 'strips' | 'around';

/** The way in which straight cuts of a step run: `across` the cloth, `along` it, or on the `bias`. */
export type CutRun = 'across' | 'along' | 'bias';

/** One step of the order of cuts. All lengths are nm, `along` from the squared end and `across` from the cloth's left edge. */
export interface CutStep {
  /** Counts from 1 over the whole lay. It stays the same as long as the plan does. */
  n: number;
  /** The length of cloth, by its id in the job. */
  stock: string;
  do: CutDoing;
  /** The section between two full-width cuts, from 1 on each length; 0 for steps before the sections. */
  section: number;
  /** The sections that lie on each other in this step; one where nothing is stacked. */
  stacked: number[];
  /** How many layers one cut goes through. */
  layers: number;
  /** Items that it frees, as indices into the items of the length's drawing (`drawPlan`). */
  items: number[];
  /** The box of what is cut in the layer that is seen. */
  along: [from: Nm, to: Nm];
  across: [from: Nm, to: Nm];
  /** How the straight cuts run; null where there is none. */
  run: CutRun | null;
  /**
   * Where the straight cuts fall: from the squared end when they run across, from the left edge when they run along; on the bias the
   * strips' own width.
   */
  cuts: Nm[];
  /** Where the last of them runs on the cloth, for the picture; null where no straight cut is made. */
  line: [Point, Point] | null;
}

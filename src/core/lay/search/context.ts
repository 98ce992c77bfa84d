import type { Nm } from '../../length';
import { TOLERANCE } from '../check/check';
import type { LayJob } from '../model/job';
import { blockPart, blocksOf, type ChosenWay, type LayPart, type StripSet } from '../model/parts';
import type { Features } from './features';
import { measured, Placer, type Placing, type Rule } from './placer';
import { type Phase } from './phase-tracker';
import { Random } from './random';
import { shapesOf, type ShapeSet } from '../geometry/shapes';

/** Limits and callbacks of one search; it stops when `isOver` says so. */
export interface SearchLimits {
  seed: number;
  /** The bound (nm) of the endless length: a lay that reaches it can't be bettered. */
  target: Nm;
  /** Called by the first worker once there is a first lay: the bound, made as good as it can be. */
  sharpen: () => Nm;
  /** Which of several searches over the same job this is: they start with other strategies and seeds. */
  worker: number;
  /** Asked after every pass with the number of passes so far. */
  isOver: (passes: number) => boolean;
  /** Told of every better lay. */
  onBetter: (found: Found) => void;
  /** The other searches over the same job. */
  exchange?: Exchange;
  /** A lay that the search goes on from. */
  start?: SharedLay | null;
}

/** A lay as search workers exchange it: the parts follow from how the strips are cut. */
export type SharedLay = Pick<Found, 'setChoice' | 'ways'> & Pick<Placing, 'stock' | 'x' | 'y' | 'turned'>;

/** How search workers on the same job exchange better lays. */
export interface Exchange {
  publish: (lay: SharedLay) => void;
  /** Lays that others have published since the last call. */
  receive: () => SharedLay[];
}

export interface Found {
  parts: readonly LayPart[];
  placing: Placing;
  /** Which sets of strips were cut, and each of them how. */
  setChoice: number;
  ways: readonly ChosenWay[];
}

/** One lay in the search: the strip ways chosen, the sequence of the parts, the rule, and what that gives. */
export interface State extends Found {
  ways: readonly number[];
  placer: Placer;
  sequence: Int32Array;
  rule: Rule;
  /** The phases given to match groups; null leaves one to its first member. */
  phases: readonly (Phase | null)[];
}

/** One run of a strategy: it yields, pass by pass, about how many passes it has taken, and ends when it has nothing left to try. */
export type Passes = Generator<number, void, void>;

/** A way of searching (src/core/lay/strategies, one folder each). */
export interface Strategy {
  name: string;
  /** Tells whether it can do anything for such a job. */
  suits: (features: Features) => boolean;
  /** Its part of the passes beside the others. */
  share: (features: Features) => number;
  /** Passes that it takes before the others begin. */
  ahead?: (features: Features) => number;
  run: (context: SearchContext) => Passes;
}

/** Cost of a pass by best fit beside one that keeps every hole: measured. */
const FIT_PASS = 0.05;

/** Count of a pass by a rule. */
export const passOf = (rule: Rule): number => (rule === 'fit' ? FIT_PASS : 1);

/** Shared state of the strategies of one search: the job, the random numbers, the passes and the best lay so far. */
export class SearchContext {
  readonly random: Random;
  readonly starts: State[] = [];
  best: Found | null = null;
  /** The best lay that came from an order. */
  bestSequence: State | null = null;
  passes = 0;
  /** Some lays that short goes of ruin and recreate have ended with. */
  readonly tried: Found[] = [];
  private shapes: { key: string; set: ShapeSet } | null = null;

  constructor(
    readonly job: LayJob,
    readonly pieces: readonly LayPart[],
    readonly sets: readonly StripSet[][],
    readonly limits: SearchLimits,
  ) {
    this.random = new Random(limits.seed + 7919 * limits.worker);
  }

  isOver(): boolean {
    return (
      this.limits.isOver(this.passes) || (this.best !== null && isAtTarget(this.best, this.job, this.limits.target))
    );
  }

  spend(passes: number): number {
    this.passes += passes;
    return passes;
  }

  assemble(setChoice: number, ways: readonly number[]): { parts: readonly LayPart[]; placer: Placer } {
    const parts = this.partsOf(setChoice, ways);
    return { parts, placer: new Placer(this.job, parts) };
  }

  private partsOf(setChoice: number, ways: readonly ChosenWay[]): readonly LayPart[] {
    const blocks = (this.sets[setChoice] ?? []).flatMap((set, i) => blocksOf(set, ways[i]!));
    return [...this.pieces, ...blocks.map(blockPart)];
  }

  /** The shapes of a lay's parts: kept for the next lay, as long as the strips are cut alike. */
  shapesOf({ setChoice, ways, parts }: Found): ShapeSet {
    const key = JSON.stringify([setChoice, ways]);
    if (this.shapes?.key !== key) this.shapes = { key, set: shapesOf(this.job, parts) };
    return this.shapes.set;
  }

  /** One pass; its lay counts if it is the best. */
  run(state: Omit<State, 'placing'>, limit: Nm): State {
    this.spend(passOf(state.rule));
    const ran = { ...state, placing: state.placer.place(state.sequence, state.rule, limit, state.phases) };
    if (!this.bestSequence || ran.placing.cost < this.bestSequence.placing.cost) this.bestSequence = ran;
    this.consider(ran);
    return ran;
  }

  consider(found: Found) {
    if (!this.keepIfBetter(found)) return;
    const { setChoice, ways } = found;
    const { stock, x, y, turned } = found.placing;
    this.limits.exchange?.publish({ setChoice, ways, stock, x, y, turned });
  }

  private keepIfBetter(found: Found): boolean {
    if (this.best && found.placing.cost >= this.best.placing.cost) return false;
    this.best = found;
    this.limits.onBetter(found);
    return true;
  }

  /** Takes over the best lay that other workers have published, where it is better. */
  receive() {
    for (const lay of this.limits.exchange?.receive() ?? []) this.takeOver(lay);
  }

  /** Takes over a lay that was made elsewhere, where it is better. */
  takeOver({ setChoice, ways, ...where }: SharedLay) {
    const isCutAlike = this.best?.setChoice === setChoice && ways.every((way, i) => way === this.best!.ways[i]);
    const parts = isCutAlike ? this.best!.parts : this.partsOf(setChoice, ways);
    this.keepIfBetter({ setChoice, ways, parts, placing: measured(this.job, parts, where) });
  }
}

const isAtTarget = ({ placing }: Found, job: LayJob, target: Nm) =>
  job.stock.length === 1 && placing.stock.every((at) => at >= 0) && placing.used[0]! <= target + TOLERANCE[job.units];

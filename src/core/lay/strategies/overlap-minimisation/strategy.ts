import { endlessOf, finiteLength } from '../../model/job';
import type { LayPart } from '../../model/parts';
import type { Passes, SearchContext, Strategy } from '../../search/context';
import { measured } from '../../search/placer';
import { SHARES } from '../../search/shares';
import { Separation } from './separation';

/** How much nearer to the bound the first target is, the furthest, and the nearest. */
const FIRST_SHARE = 0.06;
const MOST_SHARE = 0.25;
const LEAST_SHARE = 0.01;
/** Sweeps without less overlap before it goes back to its best state, and how often it does. */
const SWEEPS_WITHOUT = 30;
const STRIKES = 2;
/** About how many passes a move takes: measured. */
const PASSES_A_MOVE = 0.5;

/** Overlap minimisation below targets that come nearer to the best lay's length when they are not reached. */
function* separate(context: SearchContext): Passes {
  const { job, random, limits } = context;
  const endless = endlessOf(job.stock);
  const finite = finiteLength(job.stock);
  const floor = Math.max(0, limits.target - finite);
  let separation: Separation | null = null;
  let separated: readonly LayPart[] = [];
  let share = FIRST_SHARE;
  let isStuck = false;
  for (let isFresh = true; ;) {
    const from = context.best!;
    if (from.placing.stock.some((at) => at < 0)) {
      yield context.spend(1);
      continue;
    }
    const shapes = context.shapesOf(from);
    if (!separation || separation.from !== shapes) separation = new Separation(job, from.parts, shapes, random);
    // Another strategy's lay is gone on from.
    if (separated !== from.parts) isFresh = true;
    separated = from.parts;
    const used = from.placing.used[endless]!;
    const target = Math.round(used - Math.max(1, (used - floor) * share));
    separation.begin(isFresh ? from.placing : null, target);
    if (isStuck) separation.disrupt();
    let strikes = 0;
    while (!separation.isFree && strikes < STRIKES && context.best!.placing.used[endless]! > target) {
      for (const moved of separation.sweep()) yield context.spend(moved * PASSES_A_MOVE);
      if (separation.stale < SWEEPS_WITHOUT) continue;
      separation.restore();
      strikes++;
    }
    if (separation.isFree) {
      context.consider({ ...from, placing: measured(job, from.parts, separation.asPlacing()) });
      yield context.spend(PASSES_A_MOVE);
    }
    // Where it failed, it goes on from there with a little more cloth; from the best lay again when that comes to nothing.
    const failed = strikes >= STRIKES;
    isFresh = !failed || share < LEAST_SHARE;
    isStuck = failed && isFresh;
    share = !failed ? Math.min(MOST_SHARE, share * 1.2) : isFresh ? FIRST_SHARE / 2 : share * 0.6;
  }
}

/** Overlap minimisation of outlines on the endless length (`separation.ts`). */
export const overlapMinimisation: Strategy = {
  name: 'overlap minimisation',
  suits: ({ isSmallOutlines, isForStraight, hasEndless }) => isSmallOutlines && !isForStraight && hasEndless,
  share: SHARES.overlapMinimisation,
  run: separate,
};

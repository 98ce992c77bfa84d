import { endlessOf, finiteLength } from '../../model/job';
import { sortedSequences } from '../order-search/strategy';
import type { LayPart } from '../../model/parts';
import type { Found, Passes, SearchContext, Strategy } from '../../search/context';
import { SHARES } from '../../search/shares';
import { RuinAndRecreate } from './ruin-and-recreate';

/** About how many passes a step takes without and with outlines: measured. */
const PASSES_A_STEP = 0.2;
const PASSES_A_SHAPE = 6;
/** Steps of ruin and recreate at a time, and how many without a better lay before it starts again from the best one. */
export const STEPS = 50;
export const STEPS_WITHOUT = 30_000;
/** From so many lays it starts before it goes on with the best; the steps of each, for one part. */
const TRIALS = 8;
export const STEPS_OF_A_TRIAL = 60_000;
/** How much nearer to the bound the next target of ruin and recreate is, without and with outlines: measured. */
export const NEARER = 0.03;
const NEARER_WITH_OUTLINES = 0.01;
/** Passes that it takes before beams where there are several lengths: about a second. */
const FIRST_PASSES = 2_000;
/** Most lays that are kept of those that short goes have ended with. */
const MOST_TRIED = 12;

/** Ruin and recreate: a little from several lays, since much hangs on where it starts, and then on from the best one. */
function* fromSeveral(context: SearchContext): Passes {
  const { pieces, starts } = context;
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  if (hasOutlines) yield* firstOutlines(context);
  else {
    const steps = Math.round(STEPS_OF_A_TRIAL / starts[0]!.parts.length);
    for (let trial = 0; trial < TRIALS; trial++)
      yield* descend(context, trial === 0 ? context.best! : anyStart(context), steps);
  }
  for (;;) yield* descend(context, context.best!, Infinity);
}

/** A lay of strips that are cut in any of their ways. */
function anyStart(context: SearchContext): Found {
  const { random, sets } = context;
  const setChoice = random.below(Math.max(1, sets.length));
  const ways = (sets[setChoice] ?? []).map(({ ways }) => random.below(ways.length));
  const made = context.assemble(setChoice, ways);
  const some = sortedSequences(made.parts);
  const order = some[random.below(some.length)]!;
  const rule = made.placer.rules[random.below(made.placer.rules.length)]!;
  return context.run({ setChoice, ways, ...made, sequence: order, rule, phases: [] }, Infinity);
}

/** Outlines lie in each other's boxes only here: their first lays come from orders, too. */
function* firstOutlines(context: SearchContext): Passes {
  const { job, pieces, sets, random } = context;
  const { setChoice } = context.best!;
  const ruin = new RuinAndRecreate(job, pieces, sets[setChoice] ?? [], random);
  ruin.load(context.best!.placing, context.best!.ways);
  for (const key of [(p: LayPart) => p.width * p.height, (p: LayPart) => p.height, (p: LayPart) => p.width]) {
    const build = ruin.build((a, b) => key(b) - key(a));
    while (!build.next().done) yield context.spend(4 / pieces.length);
    context.consider({ ...ruin.found(), setChoice });
    yield context.spend(PASSES_A_STEP);
  }
}

/** Ruin and recreate from a lay, toward targets a little below it, until nothing comes of it for long or `most` steps are done. */
export function* descend(context: SearchContext, from: Found, most: number): Passes {
  const { job, random, limits, pieces, sets } = context;
  const endless = endlessOf(job.stock);
  const finite = finiteLength(job.stock);
  const floor = Math.max(0, limits.target - finite);
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const nearer = hasOutlines ? NEARER_WITH_OUTLINES : NEARER;
  const cost = hasOutlines ? PASSES_A_SHAPE : PASSES_A_STEP;
  const ruin = new RuinAndRecreate(job, pieces, sets[from.setChoice] ?? [], random);
  ruin.load(from.placing, from.ways);
  let best = ruin.used;
  let known = context.best;
  // While something is laid nowhere, every step that lays more is worth telling of.
  const aim = () =>
    ruin.aim(best === Infinity ? Math.max(1, floor) : Math.max(floor, best - Math.max(1, (best - floor) * nearer)));
  aim();
  let steps = 0;
  for (let stale = 0; stale < STEPS_WITHOUT && steps < most; stale += STEPS) {
    // From a better lay that another strategy or worker has found meanwhile it goes on at once.
    if (
      most === Infinity &&
      context.best !== known &&
      (best === Infinity || context.best!.placing.used[endless]! < best)
    )
      return;
    for (let step = 0; step < STEPS; step++, steps++) {
      if (ruin.tryStep() && (ruin.isDone || best === Infinity)) {
        const before = context.best;
        context.consider({ ...ruin.found(), setChoice: from.setChoice });
        if (ruin.isDone || context.best !== before) stale = 0;
        if (context.best !== before) known = context.best;
        best = ruin.used;
        aim();
      }
      yield context.spend(cost);
    }
  }
  if (most === Infinity) return;
  context.tried.push({ ...ruin.found(), setChoice: from.setChoice });
  if (context.tried.length > MOST_TRIED) context.tried.splice(random.below(MOST_TRIED), 1);
}

/** Ruin and recreate (`ruin-and-recreate.ts`). */
export const ruinAndRecreate: Strategy = {
  name: 'ruin and recreate',
  suits: ({ isForStraight }) => !isForStraight,
  share: SHARES.ruinAndRecreate,
  // With several lengths what it finds on the first ones stays when beams lay the last one anew, so it goes ahead.
  ahead: ({ lengths, suitsPhaseWaiting }) => (suitsPhaseWaiting && lengths > 1 ? FIRST_PASSES : 0),
  run: fromSeveral,
};

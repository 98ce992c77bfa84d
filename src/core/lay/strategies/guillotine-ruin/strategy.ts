import type { Passes, SearchContext, Strategy } from '../../search/context';
import { measured } from '../../search/placer';
import { SHARES } from '../../search/shares';
import { NEARER, STEPS, STEPS_WITHOUT } from '../ruin-and-recreate/strategy';
import { GuillotineRuin } from './guillotine-ruin';

/** About how many passes a step on the tree of cuts takes: measured. */
const PASSES_A_STEP = 0.02;

/** Ruin and recreate on the tree of straight cuts, toward targets a little below the best lay. */
function* ruin(context: SearchContext): Passes {
  const { job, random, limits } = context;
  for (;;) {
    const from = context.best!;
    const n = from.parts.length;
    const ruinAndRecreate = new GuillotineRuin(job, from.parts, random);
    let best = from.placing.used[0]!;
    ruinAndRecreate.load(from.placing, best);
    const aim = () => ruinAndRecreate.aim(Math.round(best - Math.max(1, (best - limits.target) * NEARER)));
    aim();
    for (let stale = 0; stale < STEPS_WITHOUT; stale += STEPS) {
      // Another strategy's better lay is gone on from.
      if (context.best!.placing.used[0]! < best) break;
      for (let step = 0; step < STEPS; step++) {
        if (!ruinAndRecreate.tryStep() || !ruinAndRecreate.isWhole) continue;
        const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
        ruinAndRecreate.unfold(x, y, turned);
        context.consider({ ...from, placing: measured(job, from.parts, { stock: new Int32Array(n), x, y, turned }) });
        best = ruinAndRecreate.used;
        stale = 0;
        aim();
      }
      yield context.spend(STEPS * PASSES_A_STEP);
    }
  }
}

/** Ruin and recreate on the tree of straight cuts (`guillotine-ruin.ts`). */
export const guillotineRuin: Strategy = {
  name: 'ruin and recreate (guillotine)',
  suits: ({ canBeRows }) => canBeRows,
  share: SHARES.guillotineRuin,
  run: ruin,
};

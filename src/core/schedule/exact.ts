import { Builder, isBetterPlan, type Built } from './build';
import type { Sequence } from './dispatch';
import type { Model } from './model';

/** Most runs of a job that is planned by trying everything, and most plans that are tried. */
const MOST_RUNS = 8;
const MOST_TRIED = 400_000;

/** Tells whether everything is tried for a job. */
export const isTiny = ({ count }: Model): boolean => count > 0 && count <= MOST_RUNS;

/**
 * The best of all sequences and people of a tiny job, beginning with a known one: every plan in which each run begins as early as it can is one of
 * them. Ends after a bounded number of plans.
 */
export function tryEverything(model: Model, known: Sequence): Sequence {
  const { count } = model;
  const builder = new Builder(model);
  let best = known;
  let bestBuilt: Built = builder.build(known.runs, known.people, builder.empty());
  const built = builder.empty();
  const runs = new Int32Array(count);
  const people = new Int32Array(count).fill(-1);
  const isUsed = new Uint8Array(count);
  let tried = 0;
  const go = (depth: number) => {
    if (tried >= MOST_TRIED) return;
    if (depth === count) {
      tried++;
      builder.build(runs, people, built);
      if (!isBetterPlan(built, bestBuilt)) return;
      best = { runs: runs.slice(), people: people.slice() };
      bestBuilt = { ...built };
      return;
    }
    for (let run = 0; run < count; run++) {
      if (isUsed[run] || model.after[run]!.some((before) => !isUsed[before])) continue;
      isUsed[run] = 1;
      runs[depth] = run;
      const who = model.people[run]!;
      if (who.length === 0) go(depth + 1);
      for (const person of who) {
        people[run] = person;
        go(depth + 1);
      }
      isUsed[run] = 0;
    }
  };
  go(0);
  return best;
}

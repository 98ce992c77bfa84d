import { guillotineRuin } from '../strategies/guillotine-ruin/strategy';
import { orderSearch } from '../strategies/order-search/strategy';
import { outlineBeam } from '../strategies/outline-beam/strategy';
import { overlapMinimisation } from '../strategies/overlap-minimisation/strategy';
import { phaseWaiting } from '../strategies/phase-waiting/strategy';
import { ruinAndRecreate } from '../strategies/ruin-and-recreate/strategy';
import { shelfRows } from '../strategies/shelf-rows/strategy';
import { zeroWasteBeam } from '../strategies/zero-waste-beam/strategy';
import type { Passes, SearchContext, Strategy } from './context';
import { featuresOf } from './features';

/** All strategies. A search worker begins with the one of its number, so their order matters. */
const STRATEGIES: readonly Strategy[] = [
  orderSearch,
  zeroWasteBeam,
  ruinAndRecreate,
  phaseWaiting,
  overlapMinimisation,
  outlineBeam,
  shelfRows,
  guillotineRuin,
];

/** The strategies that suit a job, each with its share of the passes and those that it takes before the others begin. */
export function portfolioFor(context: SearchContext): { passes: Passes; share: number; ahead: number }[] {
  const { placer, parts } = context.starts[0]!;
  const { target, worker } = context.limits;
  const features = featuresOf(context.job, parts, {
    pieces: context.pieces,
    canBeTight: placer.canBeTight,
    target,
    worker,
  });
  return STRATEGIES.filter(({ suits }) => suits(features)).map(({ run, share, ahead }) => ({
    passes: run(context),
    share: share(features),
    ahead: ahead?.(features) ?? 0,
  }));
}

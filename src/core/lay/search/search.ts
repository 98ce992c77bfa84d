import type { LayJob } from '../model/job';
import { canFillExactly } from '../strategies/zero-waste-beam/zero-waste-beam';
import { sortedSequences } from '../strategies/order-search/strategy';
import type { LayPart, StripSet } from '../model/parts';
import { SearchContext, type SearchLimits } from './context';
import { portfolioFor } from './portfolio';

/** How much a strategy that has just found a better lay is preferred, and how fast that fades. */
const PRAISE = 3;
const FADING = 0.98;
/** Turns between looks at what the other search workers have published. */
const RECEIVE_EVERY = 50;

/**
 * Any-time search. Sorted sequences come first; then the strategies that suit the job (portfolio.ts) run side by side, and
 * one that finds better lays gets more of the passes. They share the passes, not the time, so the search takes the same way
 * for the same seed. Returns the passes that it took.
 */
export function search(
  job: LayJob,
  pieces: readonly LayPart[],
  sets: readonly StripSet[][],
  limits: SearchLimits,
): number {
  const context = new SearchContext(job, pieces, sets, limits);
  if (limits.start) context.takeOver(limits.start);
  if (!trySequences(context)) return context.passes;
  if (!tryWays(context)) return context.passes;
  // A lay that fills the cloth exactly at the bound needs no better one; one worker works it out for all.
  if (limits.worker === 0 && !canFillExactly(job, context.starts[0]!.parts, limits.target))
    limits.target = limits.sharpen();

  const strategies = portfolioFor(context);
  const spent = strategies.map(({ ahead }, i) => (i === limits.worker % strategies.length ? -1e-9 : 0) - ahead);
  const praise = strategies.map(() => 1);
  for (let turns = 0; !context.isOver(); turns++) {
    if (turns % RECEIVE_EVERY === 0) context.receive();
    const turn = (i: number) => spent[i]! / (strategies[i]!.share * praise[i]!);
    let next = 0;
    for (let i = 1; i < strategies.length; i++) if (turn(i) < turn(next)) next = i;
    const before = context.best!.placing.cost;
    const { value, done } = strategies[next]!.passes.next();
    // One that has nothing left to try leaves its time to the others.
    spent[next]! += done ? Infinity : value;
    for (let i = 0; i < praise.length; i++) praise[i] = 1 + (praise[i]! - 1) * FADING;
    if (context.best!.placing.cost < before) praise[next] = PRAISE;
  }
  return context.passes;
}

/**
 * The sorted orders. Where each pass takes long, all of them under the first rule alone, and the best one under the
 * others and with each other set of strips: that is enough to start from. False when the search is over.
 */
function trySequences(context: SearchContext): boolean {
  const { job, starts, sets } = context;
  const ways = (setChoice: number) => (sets[setChoice] ?? []).map(() => 0);
  const choices = Array.from({ length: Math.max(1, sets.length) }, (_, setChoice) => ({
    setChoice,
    ways: ways(setChoice),
    ...context.assemble(setChoice, ways(setChoice)),
  }));
  const { rules } = choices[0]!.placer;
  const isSlow = rules[0] !== 'fit' && !job.straight;
  let best = { order: 0, cost: Infinity };
  for (const [c, choice] of choices.entries()) {
    for (const rule of rules) {
      for (const [o, order] of sortedSequences(choice.parts).entries()) {
        if (isSlow && (c > 0 || rule !== rules[0]) && o !== best.order) continue;
        const start = context.run({ ...choice, sequence: order, rule, phases: [] }, Infinity);
        if (start.placing.cost < best.cost) best = { order: o, cost: start.placing.cost };
        starts.push(start);
        if (context.isOver()) return false;
      }
    }
  }
  starts.sort((a, b) => a.placing.cost - b.placing.cost);
  return true;
}

/** Tries each other way of cutting each set of strips once, keeping what is better; false when the search is over. */
function tryWays(context: SearchContext): boolean {
  let now = context.starts[0]!;
  const sets = context.sets[now.setChoice] ?? [];
  for (let set = 0; set < sets.length; set++) {
    for (let way = 1; way < sets[set]!.ways.length; way++) {
      const ways = now.ways.map((one, i) => (i === set ? way : one));
      const made = context.assemble(now.setChoice, ways);
      const [order] = sortedSequences(made.parts) as [Int32Array];
      const next = context.run({ ...now, ways, ...made, sequence: order }, Infinity);
      if (next.placing.cost < now.placing.cost) now = next;
      if (context.isOver()) return false;
    }
  }
  if (now !== context.starts[0]) context.starts.unshift(now);
  return true;
}

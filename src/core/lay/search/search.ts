import type { LayJob } from '../model/job';
import { canFillExactly } from '../strategies/zero-waste-beam/zero-waste-beam';
import { sortedOrders } from '../strategies/order-search/strategy';
import type { Part, StripSet } from '../model/parts';
import { Room, type SearchLimits } from './context';
import { portfolioFor } from './portfolio';

/** How much a strategy that has just found a better lay is preferred, and how fast that fades. */
const PRAISE = 3;
const FADING = 0.98;
/** Turns between looks at what the other lanes have found. */
const HEAR_EVERY = 50;

/**
 * Any-time search. Sorted orders come first; then several strategies run side by side, and one that finds
 * better lays gets more of it: orders bettered step by step with goes at a tight lay (`orders`), a beam search for lays
 * without waste (`beams`, for outlines `mosaics`), ruin and recreate below a target (`ruins`), beams that waste little and where matched pieces wait
 * for their phase (`waits`), overlap minimisation for outlines (`squeezes`), and for straight cutting piles of rows or columns (`piles`) and ruin and recreate on the tree of cuts (`recuts`).
 * They share the passes, not the time, so the search takes the same way for the same seed. Returns the passes that it took.
 */
export function search(
  job: LayJob,
  pieces: readonly Part[],
  sets: readonly StripSet[][],
  limits: SearchLimits,
): number {
  const room = new Room(job, pieces, sets, limits);
  if (!tryOrders(room)) return room.passes;
  if (!tryWays(room)) return room.passes;
  // What fills the cloth exactly at the bound needs no better one; one lane works it out for all.
  if (limits.lane === 0 && !canFillExactly(job, room.starts[0]!.parts, limits.target)) limits.target = limits.sharpen();

  const strategies = portfolioFor(room);
  const spent = strategies.map(({ ahead }, i) => (i === limits.lane % strategies.length ? -1e-9 : 0) - ahead);
  const praise = strategies.map(() => 1);
  for (let turns = 0; !room.isOver(); turns++) {
    if (turns % HEAR_EVERY === 0) room.hear();
    const turn = (i: number) => spent[i]! / (strategies[i]!.share * praise[i]!);
    let next = 0;
    for (let i = 1; i < strategies.length; i++) if (turn(i) < turn(next)) next = i;
    const before = room.best!.placing.cost;
    const { value, done } = strategies[next]!.passes.next();
    // One that has nothing left to try leaves its time to the others.
    spent[next]! += done ? Infinity : value;
    for (let i = 0; i < praise.length; i++) praise[i] = 1 + (praise[i]! - 1) * FADING;
    if (room.best!.placing.cost < before) praise[next] = PRAISE;
  }
  return room.passes;
}

/**
 * The sorted orders. Where each pass takes long, all of them under the first rule alone, and the best one under the
 * others and with each other set of strips: that is enough to start from. False when the search is over.
 */
function tryOrders(room: Room): boolean {
  const { job, starts, sets } = room;
  const ways = (setChoice: number) => (sets[setChoice] ?? []).map(() => 0);
  const choices = Array.from({ length: Math.max(1, sets.length) }, (_, setChoice) => ({
    setChoice,
    ways: ways(setChoice),
    ...room.assemble(setChoice, ways(setChoice)),
  }));
  const { rules } = choices[0]!.placer;
  const isSlow = rules[0] !== 'fit' && !job.straight;
  let best = { order: 0, cost: Infinity };
  for (const [c, choice] of choices.entries()) {
    for (const rule of rules) {
      for (const [o, order] of sortedOrders(choice.parts).entries()) {
        if (isSlow && (c > 0 || rule !== rules[0]) && o !== best.order) continue;
        const start = room.run({ ...choice, order, rule, phases: [] }, Infinity);
        if (start.placing.cost < best.cost) best = { order: o, cost: start.placing.cost };
        starts.push(start);
        if (room.isOver()) return false;
      }
    }
  }
  starts.sort((a, b) => a.placing.cost - b.placing.cost);
  return true;
}

/** Tries each other way of cutting each set of strips once, keeping what is better; false when the search is over. */
function tryWays(room: Room): boolean {
  let now = room.starts[0]!;
  const sets = room.sets[now.setChoice] ?? [];
  for (let set = 0; set < sets.length; set++) {
    for (let way = 1; way < sets[set]!.ways.length; way++) {
      const ways = now.ways.map((one, i) => (i === set ? way : one));
      const made = room.assemble(now.setChoice, ways);
      const [order] = sortedOrders(made.parts) as [Int32Array];
      const next = room.run({ ...now, ways, ...made, order }, Infinity);
      if (next.placing.cost < now.placing.cost) now = next;
      if (room.isOver()) return false;
    }
  }
  if (now !== room.starts[0]) room.starts.unshift(now);
  return true;
}

import type { LayJob } from '../../model/job';
import type { LayPart } from '../../model/parts';
import { phaseAt } from '../../search/phase-tracker';
import type { Random } from '../../search/random';
import { passOf, type SearchContext, type State, type Passes, type Strategy } from '../../search/context';
import { FEW } from '../../search/features';
import { luby } from '../../search/restarts';
import { SHARES } from '../../search/shares';

const LATE = 40;
const PATIENCE = 400;
const QUICK_LATE = 500;
const QUICK_PATIENCE = 12_000;
/** Goes at a tight lay between two rounds, how many there are at first, and the nodes that each may visit at least. */
const TIGHT_GOES = 5;
const EARLY_GOES = 20;
const TIGHT_NODES = 12_000;
/** About so many nodes a part take the time of a pass. */
const NODES_A_PASS = 20;

/**
 * The best orders are bettered by moving and swapping parts, by other phases and by cutting strips another way, accepting
 * what is no worse than the lay of a while ago (late-acceptance hill climbing, Burke and Bykov), with a fresh start from a
 * shuffled order when that stalls.
 */
function* improve(context: SearchContext): Passes {
  const { random, limits } = context;
  let tries = 0;
  // Best fit is so much quicker that the other rules are not worth their time beside it.
  const isQuick = context.starts[0]!.placer.rules[0] === 'fit';
  const starts = isQuick ? context.starts.filter(({ rule }) => rule === 'fit') : context.starts;
  const best = () => (isQuick && context.bestSequence!.rule !== 'fit' ? starts[0]! : context.bestSequence!);
  const [patience, lateness] = isQuick ? [QUICK_PATIENCE, QUICK_LATE] : [PATIENCE, LATE];
  for (let round = 0; ; round++) {
    let now = starts[round % Math.min(starts.length, 4)]!;
    if (round >= 4) {
      const base = round % 2 === 0 ? best() : starts[random.below(starts.length)]!;
      now = context.run({ ...base, sequence: perturbed(base.sequence, random, 3 + random.below(8)) }, Infinity);
      yield passOf(now.rule);
    }
    const late = new Array<number>(lateness).fill(now.placing.cost);
    for (let step = 0, stale = 0; stale < patience; step++) {
      const next = context.run(neighbour(context, now), now.placing.used.at(-1)! * 1.1 + 1);
      yield passOf(now.rule);
      const slot = step % lateness;
      const better = next.placing.cost < now.placing.cost;
      if (next.placing.cost <= now.placing.cost || next.placing.cost <= late[slot]!) now = next;
      late[slot] = now.placing.cost;
      stale = better ? 0 : stale + 1;
    }
    // Between the rounds, goes at a lay that is shorter than the best by a part of what could be gained; most of them
    // early on, since what is not found soon is seldom found.
    // With matched parts a search over orders comes first: tight lays are rare there.
    const most = isQuick ? TIGHT_GOES : Math.min(round, 2);
    const goes = !now.placer.canBeTight ? 0 : tries < EARLY_GOES ? most : Math.min(most, 1);
    for (let go = 0; go < goes; go++, tries++) {
      const base = context.bestSequence!;
      const nodes = base.parts.length <= FEW ? TIGHT_NODES * luby(tries + 1) : TIGHT_NODES / 4;
      // Two of three goes are at the bound itself.
      const share = tries % 3 < 2 ? 0 : random.next();
      const target = Math.round(limits.target + (context.best!.placing.used[0]! - limits.target) * share);
      const placing = base.placer.placeTight(target, nodes, random);
      if (placing) context.consider({ ...base, placing });
      yield context.spend(Math.ceil(nodes / NODES_A_PASS / base.parts.length));
    }
  }
}

/** The orders that a cutter would try: by height, width, area, longer side, outline; matched parts first or not. */
export function sortedSequences(parts: readonly LayPart[]): Int32Array[] {
  const keys: ((part: LayPart) => number)[] = [
    ({ height }) => height,
    ({ width }) => width,
    ({ width, height }) => width * height,
    ({ width, height }) => Math.max(width, height),
    ({ width, height }) => width + height,
  ];
  const isMatched = parts.some(({ match }) => match);
  return keys.flatMap((key) => {
    const byKey = (a: number, b: number) =>
      key(parts[b]!) - key(parts[a]!) || parts[b]!.width - parts[a]!.width || a - b;
    const matchedFirst = (a: number, b: number) =>
      Number(parts[b]!.match !== null) - Number(parts[a]!.match !== null) || byKey(a, b);
    const indices = Array.from(parts, (_, i) => i);
    const orders = [Int32Array.from([...indices].sort(byKey))];
    if (isMatched) orders.push(Int32Array.from([...indices].sort(matchedFirst)));
    return orders;
  });
}

function perturbed(order: Int32Array, random: Random, times: number): Int32Array {
  const copy = order.slice();
  for (let i = 0; i < times; i++) swap(copy, random.below(copy.length), random.below(copy.length));
  return copy;
}

function swap(order: Int32Array, a: number, b: number) {
  const held = order[a]!;
  order[a] = order[b]!;
  order[b] = held;
}

function neighbour(context: SearchContext, now: State): Omit<State, 'placing'> {
  const { job, random, sets } = context;
  const dice = random.next();
  const { sequence: order } = now;
  if (sets.length > 0 && sets[0]!.length > 0 && dice < 0.08) return recut(context, now);
  if (now.placer.groups.names.length > 0 && dice > 0.85) return rephase(job, now, random);
  if (dice < 0.12 && now.rule !== 'fit')
    return { ...now, rule: now.placer.rules[random.below(now.placer.rules.length)]! };
  const next = order.slice();
  const a = random.below(order.length);
  if (dice < 0.55) {
    // A swap of two parts that are not alike.
    let b = random.below(order.length);
    for (let tries = 0; tries < 8 && isAlike(now.parts[order[a]!]!, now.parts[order[b]!]!); tries++)
      b = random.below(order.length);
    swap(next, a, b);
    return { ...now, sequence: next };
  }
  // A run of one to four parts moves elsewhere.
  const count = Math.min(1 + random.below(4), order.length - a);
  const run = order.subarray(a, a + count);
  const rest = [...order.subarray(0, a), ...order.subarray(a + count)];
  const to =
    dice < 0.75 ? Math.max(0, Math.min(rest.length, a + random.below(21) - 10)) : random.below(rest.length + 1);
  rest.splice(to, 0, ...run);
  next.set(rest);
  return { ...now, sequence: next };
}

const isAlike = (a: LayPart, b: LayPart) =>
  a.width === b.width && a.height === b.height && a.match === null && b.match === null;

/**
 * Gives a match group another phase: the one with which a member would touch another part, side to side and end to
 * end, or none, so that its first member chooses again.
 */
function rephase(job: LayJob, now: State, random: Random): Omit<State, 'placing'> {
  const { parts, placing, placer } = now;
  const phases = Array.from({ length: placer.groups.names.length }, (_, g) => now.phases[g] ?? null);
  const members = parts.map((_, i) => i).filter((i) => parts[i]!.match?.group);
  const i = members[random.below(members.length)]!;
  const part = parts[i]!;
  const group = placer.groups.names.indexOf(part.match!.group!);
  if (phases[group] && random.next() < 0.2) {
    phases[group] = null;
    return { ...now, phases };
  }
  const other = () => random.below(parts.length);
  const [a, b] = [other(), other()];
  const k = Math.max(0, placing.stock[a]!);
  const { left, right, motif } = job.stock[k]!;
  const wide = (p: number) => (placing.turned[p] ? parts[p]!.height : parts[p]!.width) + job.gap;
  const high = (p: number) => (placing.turned[p] ? parts[p]!.width : parts[p]!.height) + job.gap;
  const xs = [
    left,
    right - part.width,
    placing.x[a]! + wide(a),
    placing.x[a]! - part.width - job.gap,
    placing.x[a]!,
    placing.x[i]!,
  ];
  const ys = [0, placing.y[b]! + high(b), placing.y[b]! - part.height - job.gap, placing.y[b]!, placing.y[i]!];
  phases[group] = phaseAt(part.match!, motif, xs[random.below(xs.length)]!, ys[random.below(ys.length)]!, job.lattice!);
  return { ...now, phases };
}

/** Cuts one set of strips another way; the blocks of the others keep their places in the order as far as they can. */
function recut(context: SearchContext, now: State): Omit<State, 'placing'> {
  const { random, sets } = context;
  const setChoice = random.next() < 0.2 ? random.below(sets.length) : now.setChoice;
  const sameSets = setChoice === now.setChoice;
  const chosen = sets[setChoice]!;
  const ways = sameSets ? [...now.ways] : chosen.map(() => 0);
  const k = random.below(chosen.length);
  ways[k] = random.below(chosen[k]!.ways.length);
  const made = context.assemble(setChoice, ways);
  const pieces = made.parts.findIndex(({ block }) => block);
  const at = now.sequence.findIndex((i) => i >= pieces);
  const order = [...now.sequence].filter((i) => i < pieces);
  const blocks = made.parts.map((_, i) => i).slice(pieces);
  if (random.next() < 0.5) order.splice(at < 0 ? order.length : at, 0, ...blocks);
  else for (const block of blocks) order.splice(random.below(order.length + 1), 0, block);
  return { ...now, setChoice, ways, ...made, sequence: Int32Array.from(order) };
}

/** Search over the sequence in which parts are placed. */
export const orderSearch: Strategy = {
  name: 'order search',
  suits: () => true,
  share: SHARES.orderSearch,
  run: improve,
};

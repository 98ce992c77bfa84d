import type { Nm } from '../length';
import type { LayJob } from './job';
import { blockPart, type Part, type StripSet } from './parts';
import { measured, phaseAt, Placer, type Phase, type Placing, type Rule } from './placing';
import { Jigsaw, wasteAt } from './jigsaw';
import { Merges } from './merges';
import { Random } from './random';
import { Rows, suitsRows } from './rows';
import { Ruin } from './ruin';
import { Squeeze } from './squeeze';

/** What the search works under; it stops when `isOver` says so. */
export interface SearchLimits {
  seed: number;
  /** The bound (nm) of the endless length: a lay that reaches it can't be bettered. */
  target: Nm;
  /** Called once there is a first lay: the bound, made as good as it can be. */
  sharpen: () => Nm;
  /** Which of several searches over the same job this is: they start with other strategies and seeds. */
  lane: number;
  /** Asked after every pass with the number of passes so far. */
  isOver: (passes: number) => boolean;
  /** Told of every better lay. */
  onBetter: (found: Found) => void;
}

export interface Found {
  parts: readonly Part[];
  placing: Placing;
  /** Which sets of strips were cut, and each of them how. */
  setChoice: number;
  ways: readonly number[];
}

/** One lay in the search: the strip ways chosen, the order of the parts, the rule, and what that gives. */
interface State extends Found {
  placer: Placer;
  order: Int32Array;
  rule: Rule;
  /** The phases given to match groups; null leaves one to its first member. */
  phases: readonly (Phase | null)[];
}

const LATE = 40;
const PATIENCE = 400;
/** Goes at a tight lay between two rounds, how many there are at first, and the nodes that each may visit at least. */
const TIGHT_GOES = 5;
const EARLY_GOES = 20;
const TIGHT_NODES = 12_000;
const FEW = 120;
/** About so many nodes a part take the time of a pass. */
const NODES_A_PASS = 20;
/** The first width of the beam, and the widest: about 200 MB of states. */
const NARROW = 64;
const WIDEST = 8192;
/** About how many passes a state of a beam takes, and a step of ruin and recreate without and with outlines: measured. */
const PASSES_A_STATE = 0.15;
const PASSES_A_STEP = 0.6;
const PASSES_A_MERGE = 1;
const PASSES_A_SHAPE = 6;
/** The width of the first beam of merges. */
const MERGES = 50;
/** Steps of ruin and recreate at a time, and how many without a better lay before it starts again from the best one. */
const STEPS = 50;
const STEPS_WITHOUT = 6_000;
/** Steps of a pile without a shorter one before it starts afresh. */
const ROW_STEPS_WITHOUT = 1_500;
/** How much a strategy that has just found a better lay is preferred, and how fast that fades. */
const PRAISE = 3;
const FADING = 0.98;

/** The universal restart sequence 1 1 2 1 1 2 4 1 … (Luby, Sinclair and Zuckerman 1993): restarts of growing patience. */
function luby(n: number): number {
  let size = 1;
  while (size < n + 1) size *= 2;
  return size === n + 1 ? size / 2 : luby(n - size / 2 + 1);
}

/** A way of searching: it yields, pass by pass, about how many passes it has taken. */
type Strategy = Generator<number, void, void>;

/**
 * Any-time search. Sorted orders come first, under each rule; then several strategies run side by side, and one that finds
 * better lays gets more of it: orders bettered step by step with goes at a tight lay (`orders`), a beam search for lays
 * without waste (`beams`), ruin and recreate below a target (`ruins`), piles of rows or columns for straight cutting (`piles`). They share the passes, not the time, so the search
 * takes the same way for the same seed. Returns the passes that it took.
 */
export function search(
  job: LayJob,
  pieces: readonly Part[],
  sets: readonly StripSet[][],
  limits: SearchLimits,
): number {
  const room = new Room(job, pieces, sets, limits);
  for (const setChoice of Array.from({ length: Math.max(1, sets.length) }, (_, i) => i)) {
    const ways = (sets[setChoice] ?? []).map(() => 0);
    const made = room.assemble(setChoice, ways);
    for (const rule of made.placer.rules) {
      for (const order of sortedOrders(made.parts)) {
        room.starts.push(room.run({ setChoice, ways, ...made, order, rule, phases: [] }, Infinity));
        if (room.isOver()) return room.passes;
      }
    }
  }
  room.starts.sort((a, b) => a.placing.cost - b.placing.cost);
  if (!tryWays(room)) return room.passes;
  limits.target = limits.sharpen();

  const strategies = strategiesOf(room);
  const spent = strategies.map((_, i) => (i === limits.lane % strategies.length ? -1e-9 : 0));
  const praise = strategies.map(() => 1);
  while (!room.isOver()) {
    const turn = (i: number) => spent[i]! / (strategies[i]!.share * praise[i]!);
    let next = 0;
    for (let i = 1; i < strategies.length; i++) if (turn(i) < turn(next)) next = i;
    const before = room.best!.placing.cost;
    const { value } = strategies[next]!.passes.next();
    spent[next]! += value ?? 0;
    for (let i = 0; i < praise.length; i++) praise[i] = 1 + (praise[i]! - 1) * FADING;
    if (room.best!.placing.cost < before) praise[next] = PRAISE;
  }
  return room.passes;
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

/** The strategies that suit a job, each with its share of the time. */
function strategiesOf(room: Room): { passes: Strategy; share: number }[] {
  const { job, pieces, limits } = room;
  const { placer, parts } = room.starts[0]!;
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const strategies = [{ passes: orders(room), share: hasOutlines ? 0.2 : 1 }];
  // A lay without waste is worth looking for when the parts would fill it exactly, and they are few or bound to a phase.
  const isExact = placer.canBeTight && !hasOutlines && wasteAt(job, parts, limits.target) === 0;
  if (placer.canBeTight && !hasOutlines) {
    const isMatched = pieces.some(({ match }) => match);
    strategies.push({
      passes: beams(room),
      share: !isExact ? 0.2 : isMatched ? 12 : limits.lane % 2 === 1 ? 12 : parts.length <= FEW ? 4 : 1,
    });
  }
  if (!job.straight) strategies.push({ passes: ruins(room), share: isExact ? 1 : 25 });
  const endless = job.stock.some(({ length }) => length === Infinity);
  if (hasOutlines && !job.straight && endless && parts.length <= MOST_SQUEEZED)
    strategies.push({ passes: squeezes(room), share: 50 });
  if (suitsRows(job, parts)) strategies.push({ passes: piles(room), share: 3 });
  return strategies;
}

/** What the strategies of one search share: the job, the random numbers, the passes and the best lay so far. */
class Room {
  readonly random: Random;
  readonly starts: State[] = [];
  best: Found | null = null;
  /** The best lay that came from an order. */
  bestOrder: State | null = null;
  passes = 0;

  constructor(
    readonly job: LayJob,
    readonly pieces: readonly Part[],
    readonly sets: readonly StripSet[][],
    readonly limits: SearchLimits,
  ) {
    this.random = new Random(limits.seed + 7919 * limits.lane);
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

  assemble(setChoice: number, ways: readonly number[]): { parts: readonly Part[]; placer: Placer } {
    const blocks = (this.sets[setChoice] ?? []).flatMap((set, i) => set.ways[ways[i]!] ?? []);
    const parts = [...this.pieces, ...blocks.map(blockPart)];
    return { parts, placer: new Placer(this.job, parts) };
  }

  /** One pass; its lay counts if it is the best. */
  run(state: Omit<State, 'placing'>, limit: Nm): State {
    this.spend(1);
    const ran = { ...state, placing: state.placer.place(state.order, state.rule, limit, state.phases) };
    if (!this.bestOrder || ran.placing.cost < this.bestOrder.placing.cost) this.bestOrder = ran;
    this.consider(ran);
    return ran;
  }

  consider(found: Found) {
    if (this.best && found.placing.cost >= this.best.placing.cost) return;
    this.best = found;
    this.limits.onBetter(found);
  }
}

/**
 * The best orders are bettered by moving and swapping parts, by other phases and by cutting strips another way, accepting
 * what is no worse than the lay of a while ago (late-acceptance hill climbing, Burke and Bykov), with a fresh start from a
 * shuffled order when that stalls.
 */
function* orders(room: Room): Strategy {
  const { random, starts, limits } = room;
  let tries = 0;
  for (let round = 0; ; round++) {
    let now = starts[round % Math.min(starts.length, 4)]!;
    if (round >= 4) {
      const base = round % 2 === 0 ? room.bestOrder! : starts[random.below(starts.length)]!;
      now = room.run({ ...base, order: perturbed(base.order, random, 3 + random.below(8)) }, Infinity);
      yield 1;
    }
    const late = new Array<number>(LATE).fill(now.placing.cost);
    for (let step = 0, stale = 0; stale < PATIENCE; step++) {
      const next = room.run(neighbour(room, now), now.placing.used.at(-1)! * 1.1 + 1);
      yield 1;
      const slot = step % LATE;
      const better = next.placing.cost < now.placing.cost;
      if (next.placing.cost <= now.placing.cost || next.placing.cost <= late[slot]!) now = next;
      late[slot] = now.placing.cost;
      stale = better ? 0 : stale + 1;
    }
    // Between the rounds, goes at a lay that is shorter than the best by a part of what could be gained; most of them
    // early on, since what is not found soon is seldom found.
    // With matched parts a search over orders comes first: tight lays are rare there.
    const most = now.placer.rules[0] === 'fit' ? TIGHT_GOES : Math.min(round, 2);
    const goes = !now.placer.canBeTight ? 0 : tries < EARLY_GOES ? most : Math.min(most, 1);
    for (let go = 0; go < goes; go++, tries++) {
      const base = room.bestOrder!;
      const nodes = base.parts.length <= FEW ? TIGHT_NODES * luby(tries + 1) : TIGHT_NODES / 4;
      // Two of three goes are at the bound itself.
      const share = tries % 3 < 2 ? 0 : random.next();
      const target = Math.round(limits.target + (room.best!.placing.used[0]! - limits.target) * share);
      const placing = base.placer.placeTight(target, nodes, random);
      if (placing) room.consider({ ...base, placing });
      yield room.spend(Math.ceil(nodes / NODES_A_PASS / base.parts.length));
    }
  }
}

/** Beams of growing width, at the bound and then between it and the best lay. */
function* beams(room: Room): Strategy {
  const { job, random, limits } = room;
  const base = room.starts[0]!;
  const { parts } = base;
  const ruin = new Ruin(job, room.pieces, room.sets[base.setChoice] ?? [], random);
  const jigsaw = new Jigsaw(job, parts, random, room.best!.placing.used[0]!);
  const isExact = wasteAt(job, parts, limits.target) === 0;
  const narrow = parts.length <= FEW ? NARROW : 4 * NARROW;
  for (let go = 0; ; go++) {
    const width = Math.min(WIDEST, narrow * luby(Math.floor(go / 4) * 3 + (go % 4)));
    const atBound = isExact && go % 4 < 3;
    const used = room.best!.placing.used[0]!;
    const target = atBound
      ? limits.target
      : Math.round(limits.target + (used - limits.target) * (0.3 + 0.6 * random.next()));
    if (target < used) {
      const levels = jigsaw.run(target, width, go % 2 === 0);
      let next = levels.next();
      for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_STATE);
      // What is left over is laid wherever it fits; often that is hardly any longer.
      for (const lay of next.value) {
        ruin.load(lay, base.ways);
        ruin.layRest((one, other) => other.width * other.height - one.width * one.height);
        room.consider({ ...ruin.found(), setChoice: base.setChoice });
        yield room.spend(1);
      }
    }
    yield room.spend(1);
  }
}

/** Ruin and recreate from the best lay, toward targets a little below it. */
function* ruins(room: Room): Strategy {
  const { job, random, limits, pieces, sets } = room;
  const finite = job.stock.reduce((sum, { length }) => sum + (length === Infinity ? 0 : length), 0);
  const floor = Math.max(0, limits.target - finite);
  const keys = [(p: Part) => p.width * p.height, (p: Part) => p.height, (p: Part) => p.width];
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  for (let round = 0; ; round++) {
    const from = room.best!;
    const ruin = new Ruin(job, pieces, sets[from.setChoice] ?? [], random);
    ruin.load(from.placing, from.ways);
    let best = ruin.used;
    const nearer = hasOutlines ? NEARER_WITH_OUTLINES : NEARER;
    const aim = () => ruin.aim(Math.max(floor, best - Math.max(1, (best - floor) * nearer)));
    const tell = () => {
      best = ruin.used;
      room.consider({ ...ruin.found(), setChoice: from.setChoice });
      aim();
    };
    aim();
    // Outlines lie in each other's boxes only here: their first lays come from orders, too.
    if (round === 0 && hasOutlines) {
      for (const key of keys) {
        ruin.build((a, b) => key(b) - key(a));
        if (ruin.used < best) tell();
        yield room.spend(4);
      }
      if (ruin.used > best) ruin.load(room.best!.placing, room.best!.ways);
      aim();
    }
    const cost = hasOutlines ? PASSES_A_SHAPE : PASSES_A_STEP;
    for (let stale = 0; stale < STEPS_WITHOUT; stale += STEPS) {
      for (let step = 0; step < STEPS; step++) {
        ruin.tryStep();
        if (ruin.isDone) {
          tell();
          stale = 0;
        }
        yield room.spend(cost);
      }
    }
  }
}

/** Overlap minimisation below targets that come nearer to the best lay's length when they are not reached. */
function* squeezes(room: Room): Strategy {
  const { job, random, limits } = room;
  const endless = job.stock.findIndex(({ length }) => length === Infinity);
  const finite = job.stock.reduce((sum, { length }) => sum + (length === Infinity ? 0 : length), 0);
  const floor = Math.max(0, limits.target - finite);
  let squeeze: Squeeze | null = null;
  let pressed: readonly Part[] = [];
  let share = FIRST_PRESS;
  for (let isFresh = true; ;) {
    const from = room.best!;
    if (from.placing.stock.some((at) => at < 0)) {
      yield room.spend(1);
      continue;
    }
    if (!squeeze || pressed !== from.parts) {
      squeeze = new Squeeze(job, (pressed = from.parts), random);
      isFresh = true;
    }
    const used = from.placing.used[endless]!;
    const target = Math.round(used - Math.max(1, (used - floor) * share));
    squeeze.press(isFresh ? from.placing : null, target);
    let strikes = 0;
    while (!squeeze.isFree && strikes < STRIKES && room.best!.placing.used[endless]! > target) {
      yield room.spend(squeeze.sweep() * PASSES_A_MOVE);
      if (squeeze.stale < SWEEPS_WITHOUT) continue;
      squeeze.restore();
      strikes++;
    }
    if (squeeze.isFree) room.consider({ ...from, placing: measured(job, from.parts, squeeze.asPlacing()) });
    // Where it failed, it goes on from there with a little more cloth; from the best lay again when that comes to nothing.
    const failed = strikes >= STRIKES;
    isFresh = !failed || share < LEAST_PRESS;
    share = !failed ? Math.min(MOST_PRESS, share * 1.2) : isFresh ? FIRST_PRESS / 2 : share * 0.6;
  }
}

/** How much nearer to the bound the first target of a squeeze is, the furthest, and the nearest. */
const FIRST_PRESS = 0.06;
const MOST_PRESS = 0.25;
const LEAST_PRESS = 0.01;
/** Sweeps without less overlap before a squeeze goes back to its best state, and how often it does. */
const SWEEPS_WITHOUT = 30;
const STRIKES = 2;
/** About how many passes a move takes: measured. */
const PASSES_A_MOVE = 0.5;
/** The weights of pairs take memory by the square: no more parts than that are squeezed. */
const MOST_SQUEEZED = 600;

/**
 * Piles for straight cutting, each with a fresh start: rows across the cloth, first those without waste, and every other
 * time columns along it, as wide together as the cloth at most, for a length that is a little shorter than the best.
 */
function* piles(room: Room): Strategy {
  const { job, random, starts, limits } = room;
  const { left, right } = job.stock[0]!;
  for (let round = 0; ; round++) {
    const base = round % 4 < 2 ? room.bestOrder! : starts[round % starts.length]!;
    const { parts, placer } = base;
    const n = parts.length;
    const isColumns = round % 2 === 1;
    const best = room.best!.placing.used[0]!;
    const length = Math.round(best - Math.max(1, (best - limits.target) * NEARER_BY_COLUMNS));
    const rows = isColumns
      ? new Rows(
          job,
          parts.map((part) => ({ ...part, width: part.height, height: part.width })),
          random,
          length,
        )
      : new Rows(job, parts, random, right - left);
    const isBetter = () => (isColumns ? rows.used <= right - left : rows.used <= room.best!.placing.used[0]!);
    const tell = () => {
      if (!rows.isWhole || !isBetter()) return false;
      const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
      if (isColumns) rows.unfold(y, x, turned);
      else rows.unfold(x, y, turned);
      for (let i = 0; i < n; i++) x[i]! += left;
      room.consider({ ...base, placing: placer.asPlacing(x, y, turned) });
      return true;
    };
    tell();
    if (!isColumns && n <= FEW && wasteAt(job, parts, limits.target) === 0) {
      const merges = new Merges(job, parts, random);
      const levels = merges.run(limits.target, MERGES * luby(round / 2 + 1));
      let next = levels.next();
      for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_MERGE);
      for (const full of next.value) {
        rows.restart(full);
        tell();
        yield room.spend(1);
      }
    }
    let shortest = rows.used;
    for (let stale = 0; stale < ROW_STEPS_WITHOUT; stale++) {
      if (rows.tryStep() && rows.used < shortest) {
        shortest = rows.used;
        stale = 0;
        if (tell() && isColumns) break;
      }
      yield room.spend(1);
    }
  }
}

/** How much nearer to the bound the length of the next columns is. */
const NEARER_BY_COLUMNS = 0.1;

/** How much nearer to the bound the next target of ruin and recreate is, without and with outlines: measured. */
const NEARER = 0.03;
const NEARER_WITH_OUTLINES = 0.01;

const isAtTarget = ({ placing }: Found, job: LayJob, target: Nm) =>
  job.stock.length === 1 && placing.stock.every((at) => at >= 0) && placing.used[0]! <= target;

/** The orders that a cutter would try: by height, width, area, longer side, outline; matched parts first or not. */
function sortedOrders(parts: readonly Part[]): Int32Array[] {
  const keys: ((part: Part) => number)[] = [
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

function neighbour(room: Room, now: State): Omit<State, 'placing'> {
  const { job, random, sets } = room;
  const dice = random.next();
  const { order } = now;
  if (sets.length > 0 && sets[0]!.length > 0 && dice < 0.08) return recut(room, now);
  if (now.placer.groups.size > 0 && dice > 0.85) return rephase(job, now, random);
  if (dice < 0.12) return { ...now, rule: now.placer.rules[random.below(now.placer.rules.length)]! };
  const next = order.slice();
  const a = random.below(order.length);
  if (dice < 0.55) {
    // A swap of two parts that are not alike.
    let b = random.below(order.length);
    for (let tries = 0; tries < 8 && isAlike(now.parts[order[a]!]!, now.parts[order[b]!]!); tries++)
      b = random.below(order.length);
    swap(next, a, b);
    return { ...now, order: next };
  }
  // A run of one to four parts moves elsewhere.
  const count = Math.min(1 + random.below(4), order.length - a);
  const run = order.subarray(a, a + count);
  const rest = [...order.subarray(0, a), ...order.subarray(a + count)];
  const to =
    dice < 0.75 ? Math.max(0, Math.min(rest.length, a + random.below(21) - 10)) : random.below(rest.length + 1);
  rest.splice(to, 0, ...run);
  next.set(rest);
  return { ...now, order: next };
}

const isAlike = (a: Part, b: Part) =>
  a.width === b.width && a.height === b.height && a.match === null && b.match === null;

/**
 * Gives a match group another phase: the one with which a member would touch another part, side to side and end to
 * end, or none, so that its first member chooses again.
 */
function rephase(job: LayJob, now: State, random: Random): Omit<State, 'placing'> {
  const { parts, placing, placer } = now;
  const phases = Array.from({ length: placer.groups.size }, (_, g) => now.phases[g] ?? null);
  const members = parts.map((_, i) => i).filter((i) => parts[i]!.match?.group);
  const i = members[random.below(members.length)]!;
  const part = parts[i]!;
  const group = placer.groups.get(part.match!.group!)!;
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
function recut(room: Room, now: State): Omit<State, 'placing'> {
  const { random, sets } = room;
  const setChoice = random.next() < 0.2 ? random.below(sets.length) : now.setChoice;
  const sameSets = setChoice === now.setChoice;
  const chosen = sets[setChoice]!;
  const ways = sameSets ? [...now.ways] : chosen.map(() => 0);
  const k = random.below(chosen.length);
  ways[k] = random.below(chosen[k]!.ways.length);
  const made = room.assemble(setChoice, ways);
  const pieces = made.parts.findIndex(({ block }) => block);
  const at = now.order.findIndex((i) => i >= pieces);
  const order = [...now.order].filter((i) => i < pieces);
  const blocks = made.parts.map((_, i) => i).slice(pieces);
  if (random.next() < 0.5) order.splice(at < 0 ? order.length : at, 0, ...blocks);
  else for (const block of blocks) order.splice(random.below(order.length + 1), 0, block);
  return { ...now, setChoice, ways, ...made, order: Int32Array.from(order) };
}

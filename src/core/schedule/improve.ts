import { Random } from '../lay/search/random';
import { Builder, isBetterPlan, type Built } from './build';
import type { Sequence } from './dispatch';
import type { Model } from './model';

interface Limits {
  /** Plans that are built at most. */
  steps: number;
  seed: number;
  /** Tells whether it has to end now, whatever is left. */
  isOver: () => boolean;
}

/** Worth of a minute of setting up while lateness is still being worked on, in weighted minutes late. */
const SETUP_WORTH = 1.5;
const LEFT_OUT_WORTH = 1e9;
/** The clock is looked at every so many plans. */
const LOOK_EVERY = 16;
/** A plan's sequence is put into the order of its starts every so many that were taken. */
const SORT_EVERY = 24;

/**
 * Betters a plan by moving runs: an order that is late sooner, a run beside others of its setting, a run to somebody else. Worse plans are taken
 * with a chance that falls as it goes (simulated annealing: Kirkpatrick, Gelatt and Vecchi, 1983). Never worse than what it began with; the same
 * for the same seed and steps.
 */
export function improve(model: Model, from: Sequence, { steps, seed, isOver }: Limits): Sequence {
  const { count } = model;
  if (count < 2) return from;
  const random = new Random(seed);
  const builder = new Builder(model);
  const costOf = ({ unplanned, late, setups }: Built) => unplanned * LEFT_OUT_WORTH + late + setups * SETUP_WORTH;
  const now = { runs: from.runs.slice(), people: from.people.slice() };
  const built = builder.build(now.runs, now.people, builder.empty());
  const trial = { runs: now.runs.slice(), people: now.people.slice() };
  const tried = builder.empty();
  let best: Sequence = { runs: now.runs.slice(), people: now.people.slice() };
  let bestBuilt: Built = copyOf(built);
  let cost = costOf(built);
  const at = new Int32Array(count);
  const place = () => now.runs.forEach((run, i) => (at[run] = i));
  place();
  const bySetting = new Map<number, number[]>();
  for (let run = 0; run < count; run++)
    if (model.setting[run]! >= 0)
      bySetting.set(model.setting[run]!, [...(bySetting.get(model.setting[run]!) ?? []), run]);
  const hot = Math.max(60, (built.late / Math.max(1, model.due.length)) * 0.6);
  let taken = 0;
  let lateOrders = lateOf(built);
  for (let step = 0; step < steps; step++) {
    if (step % LOOK_EVERY === 0 && isOver()) break;
    const part = step / steps;
    const heat = hot * Math.pow(0.2 / hot, part);
    const [run, target, person] = chooseMove({ model, built, runs: now.runs, at, bySetting, lateOrders, random });
    trial.runs.set(now.runs);
    trial.people.set(now.people);
    if (!moveRun(model, trial.runs, at, run, target)) continue;
    trial.people[run] = person;
    builder.build(trial.runs, trial.people, tried);
    const next = costOf(tried);
    if (next > cost && random.next() >= Math.exp((cost - next) / heat)) continue;
    now.runs.set(trial.runs);
    now.people.set(trial.people);
    copyInto(tried, built);
    cost = next;
    if (isBetterPlan(built, bestBuilt)) {
      best = { runs: now.runs.slice(), people: now.people.slice() };
      bestBuilt = copyOf(built);
    }
    if (++taken % SORT_EVERY === 0) sortByStart(now.runs, built, at);
    place();
    lateOrders = lateOf(built);
  }
  return best;
}

/** A move: the run, the run to whose place in the sequence it goes, and who does it. */
type Move = [run: number, target: number, person: number];

/** Shares of the moves that bring a run forward, of a late order where there is one, and of those that put a run beside others of its setting. */
const SHARES = { late: { forward: 0.5, beside: 0.3 }, inTime: { forward: 0.15, beside: 0.6 } };
/** Runs with its setting that are drawn; the nearest of them is taken. */
const NEAREST_OF = 4;

interface Ground {
  model: Model;
  built: Built;
  /** The sequence, and where each run stands in it. */
  runs: Int32Array;
  at: Int32Array;
  bySetting: ReadonlyMap<number, readonly number[]>;
  lateOrders: readonly number[];
  random: Random;
}

function chooseMove({ model, built, runs, at, bySetting, lateOrders, random }: Ground): Move {
  const { forward, beside } = lateOrders.length > 0 ? SHARES.late : SHARES.inTime;
  const dice = random.next();
  let run = random.below(model.count);
  if (dice < forward && lateOrders.length > 0) {
    const own = model.runsOf[lateOrders[random.below(lateOrders.length)]!]!;
    run = own[random.below(own.length)]!;
  }
  const who = model.people[run]!;
  const anyone = () => (who.length > 0 ? who[random.below(who.length)]! : -1);
  const alike = bySetting.get(model.setting[run]!);
  if (dice > 1 - beside && alike && alike.length > 1) {
    let other = -1;
    for (let tries = 0; tries < NEAREST_OF; tries++) {
      const one = alike[random.below(alike.length)]!;
      if (one !== run && (other < 0 || Math.abs(at[one]! - at[run]!) < Math.abs(at[other]! - at[run]!))) other = one;
    }
    if (other >= 0 && who.includes(built.person[other]!)) return [run, other, built.person[other]!];
  }
  let near = runs[random.below(model.count)]!;
  if (dice < forward) {
    // Somewhere between what comes before it and where it stands now.
    let least = 0;
    for (const before of model.after[run]!) least = Math.max(least, at[before]! + 1);
    const room = at[run]! - least;
    if (room > 0) near = runs[at[run]! - 1 - random.below(Math.min(room, 1 + Math.floor(room * random.next())))]!;
  }
  const nearPerson = built.person[near]!;
  return [run, near, random.next() < 0.6 && who.includes(nearPerson) ? nearPerson : anyone()];
}

/** Moves a run to where another stands, as far as what comes before and after it allows. False where nothing moves. */
function moveRun(model: Model, runs: Int32Array, at: Int32Array, run: number, target: number): boolean {
  const from = at[run]!;
  let to = at[target]!;
  if (to < from) {
    for (const before of model.after[run]!) to = Math.max(to, at[before]! + 1);
    runs.copyWithin(to + 1, to, from);
  } else {
    for (const next of model.next[run]!) to = Math.min(to, at[next]! - 1);
    runs.copyWithin(from, from + 1, to + 1);
  }
  runs[to] = run;
  return true;
}

const lateOf = ({ over }: Built): number[] => {
  const late: number[] = [];
  for (let order = 0; order < over.length; order++) if (over[order]! > 0) late.push(order);
  return late;
};

function sortByStart(runs: Int32Array, built: Built, at: Int32Array) {
  runs.forEach((run, i) => (at[run] = i));
  runs.sort((a, b) => (built.start[a] === built.start[b] ? at[a]! - at[b]! : built.start[a]! - built.start[b]!));
}

function copyInto(from: Built, to: Built) {
  to.person.set(from.person);
  to.place.set(from.place);
  to.start.set(from.start);
  to.end.set(from.end);
  to.setup.set(from.setup);
  to.over.set(from.over);
  to.unplanned = from.unplanned;
  to.late = from.late;
  to.lateOrders = from.lateOrders;
  to.setups = from.setups;
}

const copyOf = (built: Built): Built => ({
  ...built,
  person: built.person.slice(),
  place: built.place.slice(),
  start: built.start.slice(),
  end: built.end.slice(),
  setup: built.setup.slice(),
  over: built.over.slice(),
});

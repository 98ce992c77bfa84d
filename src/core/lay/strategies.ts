import { canFillExactly, Jigsaw } from './jigsaw';
import { endlessOf } from './job';
import { Merges } from './merges';
import { Mosaic, suitsMosaic } from './mosaic';
import { orders, sortedOrders } from './orders';
import { blocksOf, type Part } from './parts';
import { measured, phaseAt, type Phase } from './placing';
import { Recut } from './recut';
import { FEW, luby, type Found, type Room, type Strategy } from './room';
import { Rows, suitsRows } from './rows';
import { Ruin } from './ruin';
import { Squeeze } from './squeeze';
import { WaitingBeam, type WaitingLay } from './waiting';

/** The first width of the beam, and the widest: about 200 MB of states. */
const NARROW = 64;
const WIDEST = 8192;
/** Without waste or patterns, from so many parts to so many beams get nearly all the time, and every other one counts area for more: up to so many bits a mean part. */
const FOR_BEAMS = { least: 48, most: 300 };
const MOST_FOR_AREA = 4;
/** For straight cutting, so many parts are few enough for a beam. */
const FEW_STRAIGHT = 60;
/** About how many passes a state of a beam takes, a place that a waiting one looks at, and a step of ruin and recreate without and with outlines: measured. */
const PASSES_A_STATE = 0.15;
const PASSES_A_PLACE = 0.0018;
const PASSES_A_STEP = 0.2;
const PASSES_A_RECUT = 0.02;
const PASSES_A_MERGE = 1;
const PASSES_A_SHAPE = 6;
const PASSES_A_MOSAIC = 0.3;
/** The width of the first beams of a mosaic, and of those that follow, when the first two have laid such a share of the parts. */
const MOSAIC = 64;
const WIDE_MOSAIC = 256;
const FAR = 0.5;
/** The width of the first beam of merges. */
const MERGES = 50;
/** Steps of ruin and recreate at a time, and how many without a better lay before it starts again from the best one. */
const STEPS = 50;
const STEPS_WITHOUT = 30_000;
/** From so many lays it starts before it goes on with the best; the steps of each, for one part. */
const TRIALS = 8;
const STEPS_OF_A_TRIAL = 60_000;
/** Steps of a pile without a shorter one before it starts afresh. */
const ROW_STEPS_WITHOUT = 1_500;
/** How much nearer to the bound the length of the next columns is. */
const NEARER_BY_COLUMNS = 0.1;
/** How much nearer to the bound the next target of ruin and recreate is, without and with outlines: measured. */
const NEARER = 0.03;
const NEARER_WITH_OUTLINES = 0.01;
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

/** Passes that ruin and recreate takes before beams where there are several lengths: about a second. */
const FIRST_RUINS = 2_000;
/** The first width of beams that wait for phases, and what ranks their states: measured (`Ranking`). */
const WAITING = 50;
const LEAST_PAY = 1.5;
const MOST_PAY = 4;
const MATCHED_PAY = 0.6;
const MOST_ROUGH = 0.03;
/** How much more a piece counts that a beam has left over, at most how much, and how much of that lasts till the next one. */
const SQUEAK = 0.1;
const MOST_SQUEAK = 2;
const SQUEAK_FADING = 0.9;
/** So many parts are few enough for them, and so many states, which is about 70 MB, are kept in one. */
const MOST_WAITING = 600;
const MOST_STATES = 100_000;
/** How much longer a target may be when a beam has found nothing. */
const EASIER = 1.005;
/** How often beams start from another lay than the best, and so many lays are kept for that. */
const FROM_TRIED = 0.5;
const MOST_TRIED = 12;

/** Passes that mosaics take before all else: their first beams, which tell whether there is hope. */
const FIRST_MOSAICS = 1_000;

const isForBeams = ({ length }: readonly Part[]) => length >= FOR_BEAMS.least && length <= FOR_BEAMS.most;

/** The strategies that suit a job, each with its share of the time, and the passes that one takes before the others begin. */
export function strategiesOf(room: Room): { passes: Strategy; share: number; ahead?: number }[] {
  const { job, pieces, limits } = room;
  const { placer, parts } = room.starts[0]!;
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const strategies: ReturnType<typeof strategiesOf> = [{ passes: orders(room), share: hasOutlines ? 0.2 : 1 }];
  // A lay without waste is worth looking for when the parts would fill it exactly, and they are few or bound to a phase.
  const isStraight = suitsRows(job, parts) && !hasOutlines;
  const canBeTight = placer.canBeTight && !hasOutlines;
  const isExact = (canBeTight || isStraight) && canFillExactly(job, parts, limits.target);
  const isMatched = pieces.some(({ match }) => match);
  const isSecond = limits.lane % 2 === 1;
  const forBeams = isExact && !isMatched && isForBeams(parts);
  if (canBeTight) {
    const share = !isExact ? 0.2 : isMatched || isSecond || forBeams || parts.length <= FEW ? 12 : 1;
    if (forBeams || (isExact && isMatched)) strategies[0]!.share = 0.1;
    strategies.push({ passes: beams(room), share });
  }
  // Cuts from edge to edge leave few ways to go on: a beam goes far where there are few parts.
  if (isStraight && parts.length <= FEW_STRAIGHT) strategies.push({ passes: beams(room), share: 8 });
  const forRuins = hasOutlines ? 2 : !isExact ? 25 : isMatched ? 0.2 : forBeams ? 2 : 4;
  const endless = endlessOf(job.stock) >= 0;
  const mayWait = (!isExact || isMatched) && !hasOutlines && !job.straight;
  const forWaits = mayWait && endless && parts.length <= MOST_WAITING;
  // With several lengths what it finds on the first ones stays when beams lay the last one anew, so it goes ahead.
  const ahead = forWaits && job.stock.length > 1 ? FIRST_RUINS : 0;
  if (!job.straight) strategies.push({ passes: ruins(room), share: forRuins, ahead });
  if (forWaits) strategies.push({ passes: waits(room), share: isExact ? 3 : isMatched ? 25 : 10 });
  const isSmall = hasOutlines && parts.length <= MOST_SQUEEZED;
  if (isSmall && !job.straight && endless) strategies.push({ passes: squeezes(room), share: 50 });
  // It gives up soon where there is no hope.
  if (isSmall && suitsMosaic(job, parts)) strategies.push({ passes: mosaics(room), share: 800, ahead: FIRST_MOSAICS });
  if (suitsRows(job, parts)) {
    strategies.push({ passes: piles(room), share: 3 }, { passes: recuts(room), share: 3 });
  }
  return strategies;
}

/** Beams of growing width, at the bound and then between it and the best lay. */
function* beams(room: Room): Strategy {
  const { job, random, limits } = room;
  const base = room.starts[0]!;
  const { parts } = base;
  const ruin = new Ruin(job, room.pieces, room.sets[base.setChoice] ?? [], random);
  const jigsaw = new Jigsaw(job, parts, random, room.best!.placing.used[0]!);
  const isExact = canFillExactly(job, parts, limits.target);
  const countsArea = !room.pieces.some(({ match }) => match) && !job.straight && isForBeams(parts);
  const comesNearer = job.straight || countsArea;
  const narrow = parts.length <= FEW || comesNearer ? NARROW : 4 * NARROW;
  // How far between the bound and the best lay the next target is, where it comes nearer with each whole lay.
  let share = 0.5;
  // With phases each beam is run from the far end, too: what one end hides the other may show.
  const turns = room.pieces.some(({ match }) => match) ? 2 : 1;
  for (let count = 0; ; count++) {
    const go = Math.floor(count / turns);
    const isFlipped = (count + limits.lane) % turns === 1;
    const width = Math.min(WIDEST, narrow * luby(Math.floor(go / 4) * 3 + (go % 4)));
    const atBound = isExact && !countsArea && go % 4 < 3;
    const used = room.best!.placing.used[0]!;
    const q = comesNearer ? share : 0.3 + 0.6 * random.next();
    const target = atBound ? limits.target : Math.round(limits.target + (used - limits.target) * q);
    if (target < used) {
      const largeFirst = countsArea && go % 2 === 1 ? MOST_FOR_AREA ** random.next() : 1;
      const levels = jigsaw.run(target, width, go % 2 === 0, largeFirst, isFlipped);
      let next = levels.next();
      for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_STATE);
      const whole = next.value.find(({ placed }) => placed === parts.length);
      if (!atBound) share = whole ? 0.5 : Math.min(0.95, share + 0.15);
      if (job.straight) {
        if (whole) room.consider({ ...base, placing: base.placer.asPlacing(whole.x, whole.y, whole.turned) });
        yield room.spend(1);
        continue;
      }
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

/** Beams for a lay of outlines that leaves nothing over, given up when none comes far. */
function* mosaics(room: Room): Strategy {
  const { job, random, limits } = room;
  const { parts } = room.starts[0]!;
  const mosaic = new Mosaic(job, parts, room.shapesOf(room.starts[0]!), random);
  const { left, right } = job.stock[0]!;
  const target = Math.round(mosaic.area / (right - left));
  // Each order finds other lays: before the beams are made wider, two lanes have tried them all.
  const { orders } = mosaic;
  const half = orders.length / 2;
  for (let go = 0; mosaic.canEndAt(target); go++) {
    const width = go < half ? MOSAIC : Math.min(WIDEST, WIDE_MOSAIC * 2 ** (Math.floor(go / half) - 1));
    const levels = mosaic.run(target, width, orders[(go + limits.lane * half) % orders.length]!);
    let next = levels.next();
    for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_MOSAIC);
    if (next.value) room.consider({ ...room.starts[0]!, placing: measured(job, parts, next.value) });
    if (go === 1 && mosaic.reached < FAR * parts.length) break;
    yield room.spend(1);
  }
}

/**
 * Beams that let pieces wait for their phase, on the endless length: what lies on the others stays as in the best lay, or as
 * in another that ruin and recreate has tried. Each lay they find goes through a little of it, too. Pieces that a beam has left over
 * count for more in the next ones (squeaky wheel optimisation, Joslin and Clements 1999, from memory).
 */
function* waits(room: Room): Strategy {
  const { job, random } = room;
  const end = endlessOf(job.stock);
  const squeaks = new Map<string, number>();
  let shortest = Infinity;
  for (let go = 0; ; go++) {
    const isOther = job.stock.length > 1 && room.tried.length > 0 && random.next() < FROM_TRIED;
    const from = isOther ? room.tried[random.below(room.tried.length)]! : room.best!;
    const { numbers, beam } = beamOf(room, from);
    if (numbers.length === 0) {
      yield room.spend(1);
      continue;
    }
    const levels = beam.run(Math.min(room.best!.placing.used[end]!, shortest) - 1, {
      width: Math.min(WAITING * luby(go), Math.ceil(MOST_STATES / numbers.length)),
      pays: LEAST_PAY + (MOST_PAY - LEAST_PAY) * random.next(),
      matched: MATCHED_PAY,
      rough: MOST_ROUGH * random.next() ** 2,
      squeaks,
    });
    let next = levels.next();
    for (; !next.done; next = levels.next()) yield room.spend(next.value * PASSES_A_PLACE);
    const lay = next.value;
    const isWhole = lay?.placed === numbers.length;
    for (const [id, weight] of squeaks) squeaks.set(id, 1 + (weight - 1) * SQUEAK_FADING);
    numbers.forEach((i, k) => {
      const id = from.parts[i]!.piece?.id;
      if (lay && lay.stock[k]! < 0 && id) squeaks.set(id, Math.min(MOST_SQUEAK, (squeaks.get(id) ?? 1) + SQUEAK));
    });
    yield room.spend(1);
    if (!isWhole) {
      shortest *= EASIER;
      continue;
    }
    const whole = withRest(room, from, numbers, lay);
    shortest = Math.min(shortest, lay.reached);
    room.consider(whole);
    yield* descend(room, whole, Math.round(STEPS_OF_A_TRIAL / from.parts.length));
  }
}

/** A beam for what a lay has on the endless length: pieces and bias, of which the numbers are told. */
function beamOf({ job, pieces, sets, random }: Room, from: Found): { numbers: number[]; beam: WaitingBeam } {
  const end = endlessOf(job.stock);
  const isInBeam = [
    ...pieces.map(() => true),
    ...(sets[from.setChoice] ?? []).flatMap((set, s) => blocksOf(set, from.ways[s]!).map(() => set.grain === 'bias')),
  ];
  const { stock, x, y } = from.placing;
  const numbers = isInBeam.flatMap((is, i) => (is && (stock[i] === end || stock[i]! < 0) ? [i] : []));
  const phases = new Map<string, Phase>();
  from.parts.forEach(({ match }, i) => {
    const at = stock[i]!;
    if (match?.group && job.lattice && at >= 0 && at !== end)
      phases.set(match.group, phaseAt(match, job.stock[at]!.motif, x[i]!, y[i]!, job.lattice));
  });
  const parts = numbers.map((i) => from.parts[i]!);
  return { numbers, beam: new WaitingBeam(job, parts, end, phases, random) };
}

/** A beam's lay with what lies on other lengths, and the straight strips that it left out where they fit. */
function withRest(room: Room, from: Found, numbers: readonly number[], lay: WaitingLay): Found {
  const { job, pieces, sets, random } = room;
  const end = endlessOf(job.stock);
  const { stock, x, y, turned } = from.placing;
  const where = {
    stock: stock.map((at) => (at === end ? -1 : at)),
    x: x.slice(),
    y: y.slice(),
    turned: turned.slice(),
  };
  numbers.forEach((i, k) => {
    where.stock[i] = lay.stock[k]!;
    where.x[i] = lay.x[k]!;
    where.y[i] = lay.y[k]!;
    where.turned[i] = lay.turned[k]!;
  });
  const ruin = new Ruin(job, pieces, sets[from.setChoice] ?? [], random);
  ruin.load(where, from.ways);
  ruin.layRest((one, other) => other.width * other.height - one.width * one.height);
  return { ...ruin.found(), setChoice: from.setChoice };
}

/** Ruin and recreate: a little from several lays, since much hangs on where it starts, and then on from the best one. */
function* ruins(room: Room): Strategy {
  const { pieces, starts } = room;
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  if (hasOutlines) yield* firstOutlines(room);
  else {
    const steps = Math.round(STEPS_OF_A_TRIAL / starts[0]!.parts.length);
    for (let trial = 0; trial < TRIALS; trial++) yield* descend(room, trial === 0 ? room.best! : anyStart(room), steps);
  }
  for (;;) yield* descend(room, room.best!, Infinity);
}

/** A lay of strips that are cut in any of their ways. */
function anyStart(room: Room): Found {
  const { random, sets } = room;
  const setChoice = random.below(Math.max(1, sets.length));
  const ways = (sets[setChoice] ?? []).map(({ ways }) => random.below(ways.length));
  const made = room.assemble(setChoice, ways);
  const some = sortedOrders(made.parts);
  const order = some[random.below(some.length)]!;
  const rule = made.placer.rules[random.below(made.placer.rules.length)]!;
  return room.run({ setChoice, ways, ...made, order, rule, phases: [] }, Infinity);
}

/** Outlines lie in each other's boxes only here: their first lays come from orders, too. */
function* firstOutlines(room: Room): Strategy {
  const { job, pieces, sets, random } = room;
  const { setChoice } = room.best!;
  const ruin = new Ruin(job, pieces, sets[setChoice] ?? [], random);
  ruin.load(room.best!.placing, room.best!.ways);
  for (const key of [(p: Part) => p.width * p.height, (p: Part) => p.height, (p: Part) => p.width]) {
    ruin.build((a, b) => key(b) - key(a));
    room.consider({ ...ruin.found(), setChoice });
    yield room.spend(4);
  }
}

/** Ruin and recreate from a lay, toward targets a little below it, until nothing comes of it for long or `most` steps are done. */
function* descend(room: Room, from: Found, most: number): Strategy {
  const { job, random, limits, pieces, sets } = room;
  const endless = endlessOf(job.stock);
  const finite = job.stock.reduce((sum, { length }) => sum + (length === Infinity ? 0 : length), 0);
  const floor = Math.max(0, limits.target - finite);
  const hasOutlines = pieces.some(({ outlines }) => outlines);
  const nearer = hasOutlines ? NEARER_WITH_OUTLINES : NEARER;
  const cost = hasOutlines ? PASSES_A_SHAPE : PASSES_A_STEP;
  const ruin = new Ruin(job, pieces, sets[from.setChoice] ?? [], random);
  ruin.load(from.placing, from.ways);
  let best = ruin.used;
  // While something is laid nowhere, every step that lays more is worth telling of.
  const aim = () =>
    ruin.aim(best === Infinity ? Math.max(1, floor) : Math.max(floor, best - Math.max(1, (best - floor) * nearer)));
  aim();
  let steps = 0;
  for (let stale = 0; stale < STEPS_WITHOUT && steps < most; stale += STEPS) {
    // From a better lay that another lane has told of it goes on at once.
    if (most === Infinity && room.best!.placing.used[endless]! < best) return;
    for (let step = 0; step < STEPS; step++, steps++) {
      if (ruin.tryStep() && (ruin.isDone || best === Infinity)) {
        const before = room.best;
        room.consider({ ...ruin.found(), setChoice: from.setChoice });
        if (ruin.isDone || room.best !== before) stale = 0;
        best = ruin.used;
        aim();
      }
      yield room.spend(cost);
    }
  }
  if (most === Infinity) return;
  room.tried.push({ ...ruin.found(), setChoice: from.setChoice });
  if (room.tried.length > MOST_TRIED) room.tried.splice(random.below(MOST_TRIED), 1);
}

/** Overlap minimisation below targets that come nearer to the best lay's length when they are not reached. */
function* squeezes(room: Room): Strategy {
  const { job, random, limits } = room;
  const endless = endlessOf(job.stock);
  const finite = job.stock.reduce((sum, { length }) => sum + (length === Infinity ? 0 : length), 0);
  const floor = Math.max(0, limits.target - finite);
  let squeeze: Squeeze | null = null;
  let pressed: readonly Part[] = [];
  let share = FIRST_PRESS;
  let isStuck = false;
  for (let isFresh = true; ;) {
    const from = room.best!;
    if (from.placing.stock.some((at) => at < 0)) {
      yield room.spend(1);
      continue;
    }
    const shapes = room.shapesOf(from);
    if (!squeeze || squeeze.from !== shapes) squeeze = new Squeeze(job, from.parts, shapes, random);
    // Another strategy's lay is gone on from.
    if (pressed !== from.parts) isFresh = true;
    pressed = from.parts;
    const used = from.placing.used[endless]!;
    const target = Math.round(used - Math.max(1, (used - floor) * share));
    squeeze.press(isFresh ? from.placing : null, target);
    if (isStuck) squeeze.disrupt();
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
    isStuck = failed && isFresh;
    share = !failed ? Math.min(MOST_PRESS, share * 1.2) : isFresh ? FIRST_PRESS / 2 : share * 0.6;
  }
}

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
    if (!isColumns && n <= FEW && canFillExactly(job, parts, limits.target)) {
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

/** Ruin and recreate on the tree of straight cuts, toward targets a little below the best lay. */
function* recuts(room: Room): Strategy {
  const { job, random, limits } = room;
  for (;;) {
    const from = room.best!;
    const n = from.parts.length;
    const recut = new Recut(job, from.parts, random);
    let best = from.placing.used[0]!;
    recut.load(from.placing, best);
    const aim = () => recut.aim(Math.round(best - Math.max(1, (best - limits.target) * NEARER)));
    aim();
    for (let stale = 0; stale < STEPS_WITHOUT; stale += STEPS) {
      // Another strategy's better lay is gone on from.
      if (room.best!.placing.used[0]! < best) break;
      for (let step = 0; step < STEPS; step++) {
        if (!recut.tryStep() || !recut.isWhole) continue;
        const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
        recut.unfold(x, y, turned);
        room.consider({ ...from, placing: measured(job, from.parts, { stock: new Int32Array(n), x, y, turned }) });
        best = recut.used;
        stale = 0;
        aim();
      }
      yield room.spend(STEPS * PASSES_A_RECUT);
    }
  }
}

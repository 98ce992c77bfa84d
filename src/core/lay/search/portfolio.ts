import { canFillExactly, Jigsaw } from '../strategies/zero-waste-beam/zero-waste-beam';
import { endlessOf } from '../model/job';
import { Merges } from '../strategies/block-merging/block-merging';
import { Mosaic, suitsMosaic } from '../strategies/outline-beam/outline-beam';
import { orders } from '../strategies/order-search/strategy';
import type { Part } from '../model/parts';
import { measured } from './placer';
import { Recut } from '../strategies/guillotine-ruin/guillotine-ruin';
import { FEW, luby, type Room, type Strategy } from './context';
import { Rows, suitsRows } from '../strategies/shelf-rows/shelf-rows';
import { Ruin } from '../strategies/ruin-and-recreate/ruin-and-recreate';
import { NEARER, ruins, STEPS, STEPS_WITHOUT } from '../strategies/ruin-and-recreate/strategy';
import { Squeeze } from '../strategies/overlap-minimisation/separation';
import { waits } from '../strategies/phase-waiting/strategy';

/** The first width of the beam, and the widest: about 200 MB of states. */
const NARROW = 64;
const WIDEST = 8192;
/** Without waste or patterns, from so many parts to so many beams get nearly all the time, and every other one counts area for more: up to so many bits a mean part. */
const FOR_BEAMS = { least: 48, most: 300 };
const MOST_FOR_AREA = 4;
/** For straight cutting, so many parts are few enough for a beam. */
const FEW_STRAIGHT = 60;
/** About how many passes a state of a beam takes, a step on the tree of cuts, a state of merges and of a mosaic: measured. */
const PASSES_A_STATE = 0.07;
const PASSES_A_RECUT = 0.02;
const PASSES_A_MERGE = 1;
const PASSES_A_MOSAIC = 0.3;
/** The width of the first beams of a mosaic, and of those that follow, when the first two have laid such a share of the parts. */
const MOSAIC = 64;
const WIDE_MOSAIC = 256;
const FAR = 0.5;
/** The width of the first beam of merges. */
const MERGES = 50;
/** Steps of a pile without a shorter one before it starts afresh. */
const ROW_STEPS_WITHOUT = 1_500;
/** How much nearer to the bound the length of the next columns is. */
const NEARER_BY_COLUMNS = 0.1;
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
/** So many parts are few enough for beams that wait. */
const MOST_WAITING = 600;
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
  // Phases that are often right by chance tell little at first: narrow beams end soon, so the next one is wider, from the other end.
  const widens = isExact && turns === 2 && !jigsaw.canForce;
  for (let count = 0; ; count++) {
    const go = widens ? count : Math.floor(count / turns);
    const isFlipped = (count + limits.lane) % turns === 1;
    const growth = widens ? (count < 1 ? 1 : 2 ** (count + 1)) : luby(Math.floor(go / 4) * 3 + (go % 4));
    const width = Math.min(WIDEST, narrow * growth);
    const atBound = isExact && !countsArea && (widens || go % 4 < 3);
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
      for (const moved of squeeze.sweep()) yield room.spend(moved * PASSES_A_MOVE);
      if (squeeze.stale < SWEEPS_WITHOUT) continue;
      squeeze.restore();
      strikes++;
    }
    if (squeeze.isFree) {
      room.consider({ ...from, placing: measured(job, from.parts, squeeze.asPlacing()) });
      yield room.spend(PASSES_A_MOVE);
    }
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

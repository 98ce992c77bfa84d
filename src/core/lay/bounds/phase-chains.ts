import { wrap, type Lattice } from '../../cloth';
import type { Nm } from '../../length';
import type { LayJob, PieceMatch } from '../model/job';

/** Rectangles of one kind that must lie on the cloth: the least width and height they may have, and what the pattern asks. */
export interface Link {
  qty: number;
  width: Nm;
  height: Nm;
  match: PieceMatch | null;
}

/** Lengths (nm) that differ by less are the same: twice what the lay plan's tolerance is. */
const HARDLY = 5_080;
/** Most part classes, those that take most length, of which chains are made. */
const MOST_KINDS = 60;
/** From so many of them on a chain is begun. */
const MOST_SEEDS = 12;

/**
 * A proven lower bound (nm) of the length that pieces need which can't lie beside each other, whatever the phases of their
 * groups: they lie one behind the other, and pieces of one group only where the pattern comes again. Two pieces that are fixed
 * to the pattern, or belong to one group, have a known distance across but for whole repeats, so that of two 21 in wide ones
 * with a repeat of 12 in one begins 24 in beside the other; along the cloth likewise. 0 when there are no such pieces.
 */
export function phaseChainBound(job: LayJob, links: readonly Link[]): Nm {
  const some = links
    .filter(({ qty }) => qty > 0)
    .sort((a, b) => b.qty * b.height - a.qty * a.height)
    .slice(0, MOST_KINDS);
  let best = 0;
  for (const seed of some.slice(0, MOST_SEEDS)) {
    const chain: Link[] = [];
    for (const link of [seed, ...some.filter((one) => one !== seed)]) {
      const isApart = chain.every((other) => !canBeBeside(job, link, other));
      // Only one copy of a part that can lie beside its like is a link.
      if (isApart) chain.push(canBeBeside(job, link, link) ? { ...link, qty: 1 } : link);
    }
    best = Math.max(best, lengthOf(job, chain));
  }
  return best;
}

/** Tells whether the pattern gives two pieces a known distance. */
const isBound = (one: Link, other: Link): boolean =>
  one.match !== null && other.match !== null && one.match.group === other.match.group;

/**
 * Tells whether both pieces fit beside each other on the widest length, be it without their gap: corner to corner they may keep it
 * slantwise, and only what lies one above the other has all of it between.
 */
function canBeBeside(job: LayJob, one: Link, other: Link): boolean {
  const { lattice, stock } = job;
  const usable = Math.max(...stock.map(({ left, right }) => right - left));
  const across = isBound(one, other) ? (lattice?.across ?? 0) : 0;
  const reach = (a: Link, b: Link) => {
    const wait = across > 0 ? further(shiftOf(b, 0) - shiftOf(a, 0) - a.width, across) : 0;
    return a.width + wait + b.width;
  };
  return Math.min(reach(one, other), reach(other, one)) <= usable + HARDLY;
}

/** Where a piece's corner lies from its group's phase, across (0) or along (1). */
const shiftOf = ({ match }: Link, axis: 0 | 1): Nm => match!.offset[axis] - match!.anchor[axis];

/** How much further than wanted the pattern comes again; what is hardly less than a repeat is nothing. */
function further(by: Nm, repeat: Nm): Nm {
  const rest = wrap(by, repeat);
  return rest > repeat - HARDLY ? 0 : rest;
}

/** How much cloth at least lies between two pieces of which one begins behind the other, a part of it across at least. */
function between({ gap, lattice }: LayJob, one: Link, other: Link): Nm {
  if (!isBound(one, other) || !lattice || lattice.along === 0) return 0;
  const [across, along] = [shiftOf(other, 0) - shiftOf(one, 0), shiftOf(other, 1) - shiftOf(one, 1)];
  return inAnyColumn(lattice, along - one.height - gap, across, -other.width, one.width);
}

/** How much cloth (nm) at least lies behind a piece up to the next one of its group that begins behind it, the least of all `links`. */
export function waitBehind(job: LayJob, link: Link, links: readonly Link[]): Nm {
  const others = links.filter((other) => other !== link || link.qty > 1);
  return others.length > 0 ? Math.min(...others.map((other) => between(job, link, other))) : 0;
}

/** How much cloth (nm) at least lies before a piece on any length: that which is fixed to the pattern waits for it. */
export function waitBefore({ lattice, stock }: LayJob, link: Link): Nm {
  if (!link.match || link.match.group !== null || !lattice || lattice.along === 0) return 0;
  const starts = stock.map(({ motif, left, right }) =>
    inAnyColumn(lattice, motif[1] + shiftOf(link, 1), motif[0] + shiftOf(link, 0), left, right),
  );
  return Math.min(...starts);
}

/**
 * How much further than wanted the pattern comes again at least. In each next column of a drop pattern it lies a part of the repeat
 * further: of the columns, those count that are from `low` to `high`, where the first one is at `x`.
 */
function inAnyColumn({ across, along, shift }: Lattice, by: Nm, x: Nm, low: Nm, high: Nm): Nm {
  if (across === 0 || shift === 0) return further(by, along);
  let least = along;
  for (let column = Math.ceil((low - x) / across); x + column * across <= high; column++)
    least = Math.min(least, further(by + column * shift, along));
  return least === along ? 0 : least;
}

/** Least length of a chain: each link, and behind all but the last on each length what lies between it and the nearest that may follow. */
function lengthOf(job: LayJob, chain: readonly Link[]): Nm {
  let [length, most] = [0, 0];
  for (const link of chain) {
    const least = waitBehind(job, link, chain);
    length += link.qty * (link.height + job.gap + least);
    most = Math.max(most, least);
  }
  const first = Math.min(...chain.map((link) => waitBefore(job, link)));
  return Math.max(0, first + length - job.stock.length * (job.gap + most));
}

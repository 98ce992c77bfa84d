import type { Box } from '../model/box';
import type { Nm } from '../../length';
import { hasLocks, type LayJob, type LockedPiece, type StockLength } from '../model/job';
import { boxesWithin, turnOutline } from '../model/outline';
import { phaseAt } from './phase-tracker';
import { findFaults } from '../check/check';
import type { Lay, LayPlan, StripCut } from '../model/plan';

/** Where a locked piece's box lies: x0, y0, x1, y1 nm. */
function boxOf(job: LayJob, { piece, x, y, turn }: LockedPiece): Box {
  const { width, height } = job.pieces.find(({ id }) => id === piece)!;
  return turn % 180 === 0 ? [x, y, x + width, y + height] : [x, y, x + height, y + width];
}

/** The copies of each piece or strip (by its id) that are not locked, in order: what the job of the rest counts from 1. */
function freeCopies(all: readonly { id: string; qty: number }[], locked: readonly { id: string; copy: number }[]) {
  const taken = new Map<string, Set<number>>();
  for (const { id, copy } of locked) taken.set(id, (taken.get(id) ?? new Set()).add(copy));
  return new Map(
    all.map(({ id, qty }) => [
      id,
      Array.from({ length: qty }, (_, i) => i + 1).filter((copy) => !taken.get(id)?.has(copy)),
    ]),
  );
}

const freeOf = ({ pieces, strips, locked, lockedCuts }: LayJob) => ({
  pieces: freeCopies(
    pieces,
    locked.map(({ piece, copy }) => ({ id: piece, copy })),
  ),
  strips: freeCopies(
    strips,
    lockedCuts.map(({ strip, copy }) => ({ id: strip, copy })),
  ),
});

/**
 * The job that is left when some pieces and cuts are locked where they are: what they cover, with the gap round it, is left out like
 * flaws; copies that are locked are not laid again; a match group of which a member is locked has that member's phase.
 * With straight cuts a first cut goes across behind the locked pieces of a length, and the rest lies beyond it.
 */
export function withoutLocked(job: LayJob): LayJob {
  const { lattice, locked } = job;
  const free = freeOf(job);
  const phases = new Map<string, readonly [Nm, Nm]>();
  for (const { piece, stock, x, y } of locked) {
    const { match } = job.pieces.find(({ id }) => id === piece)!;
    const { motif } = job.stock.find(({ id }) => id === stock)!;
    if (match?.group && lattice) phases.set(match.group, phaseAt(match, motif, x, y, lattice));
  }
  return {
    ...job,
    locked: [],
    lockedCuts: [],
    stock: job.stock.map((stock) => ({ ...stock, flaws: [...stock.flaws, ...flawsFrom(job, stock)] })),
    pieces: job.pieces.flatMap((piece) => {
      const qty = free.pieces.get(piece.id)!.length;
      const { match } = piece;
      const phase = match?.group ? phases.get(match.group) : undefined;
      const offset = (phase && match ? match.offset.map((at, i) => at + phase[i]!) : match?.offset) as [Nm, Nm];
      return qty > 0
        ? [{ ...piece, qty, match: match && { ...match, offset, group: phase ? null : match.group } }]
        : [];
    }),
    strips: job.strips.flatMap((strip) => {
      const qty = free.strips.get(strip.id)!.length;
      return qty > 0 ? [{ ...strip, qty }] : [];
    }),
  };
}

function flawsFrom(job: LayJob, { id, left, right }: StockLength): Box[] {
  const { gap } = job;
  const here = job.locked.filter(({ stock }) => stock === id);
  const cuts = job.lockedCuts.filter(({ stock }) => stock === id).map(({ outline }) => outline);
  if (here.length + cuts.length === 0) return [];
  const tops = [...here.map((one) => boxOf(job, one)[3]), ...cuts.map(topOf)];
  if (job.straight) return [[left, 0, right, Math.max(...tops) + gap]];
  const wider = ([x0, y0, x1, y1]: Box): Box => [x0 - gap, y0 - gap, x1 + gap, y1 + gap];
  const ofCuts = cuts.flatMap((outline) => boxesWithin(outline).map(wider));
  const ofPieces = here.flatMap((one) => {
    const { outline } = job.pieces.find((piece) => piece.id === one.piece)!;
    if (!outline) return [wider(boxOf(job, one))];
    return boxesWithin(turnOutline(outline, one.turn)).map(([x0, y0, x1, y1]) =>
      wider([one.x + x0, one.y + y0, one.x + x1, one.y + y1]),
    );
  });
  return [...ofPieces, ...ofCuts];
}

const topOf = (outline: StripCut['outline']): Nm => Math.max(...outline.map(([, y]) => y));

/**
 * The unlocked part of a plan, as a plan of the rest of the job, to go on from; null where it can't be one: with straight cuts what lies
 * beside a locked piece is cut another way.
 */
export function restOf(job: LayJob, rest: LayJob, plan: LayPlan): LayPlan | null {
  const free = freeOf(job);
  const number = (of: keyof typeof free, id: string, copy: number) => free[of].get(id)!.indexOf(copy) + 1;
  const lays = plan.lays.flatMap((lay): Lay[] => {
    const placed = lay.placed
      .map((one) => ({ ...one, copy: number('pieces', one.piece, one.copy) }))
      .filter(({ copy }) => copy > 0);
    const cuts = lay.cuts
      .map((one) => ({ ...one, copy: number('strips', one.strip, one.copy) }))
      .filter(({ copy }) => copy > 0);
    if (placed.length + cuts.length === 0) return [];
    const tops = [
      ...placed.map((one) => boxOf(job, { ...one, stock: lay.stock })[3]),
      ...cuts.map(({ outline }) => topOf(outline)),
    ];
    return [{ ...lay, used: Math.max(...tops), placed, cuts }];
  });
  const unplaced = plan.unplaced.map((one) => ({
    ...one,
    copy: 'piece' in one ? number('pieces', one.piece, one.copy) : number('strips', one.strip, one.copy),
  }));
  const used = lays.reduce((sum, lay) => sum + lay.used, 0);
  const found = { ...plan, lays, unplaced, used, bound: 0 };
  return hasLocks(rest) || findFaults(rest, found).length > 0 ? null : found;
}

/** The plan of the rest with the locked pieces and cuts in it again, and the copies of all counted as the job has them. */
export function withLocked(job: LayJob, rest: LayPlan): LayPlan {
  const free = freeOf(job);
  const piece = <T extends { piece: string; copy: number }>(one: T): T => ({
    ...one,
    copy: free.pieces.get(one.piece)![one.copy - 1]!,
  });
  const strip = <T extends { strip: string; copy: number }>(one: T): T => ({
    ...one,
    copy: free.strips.get(one.strip)![one.copy - 1]!,
  });
  const lays = job.stock.flatMap(({ id }): Lay[] => {
    const lay = rest.lays.find(({ stock }) => stock === id);
    const locked = job.locked.filter(({ stock }) => stock === id);
    const lockedCuts = job.lockedCuts.filter(({ stock }) => stock === id);
    if (!lay && locked.length + lockedCuts.length === 0) return [];
    const placed = locked.map((one) => ({ piece: one.piece, copy: one.copy, x: one.x, y: one.y, turn: one.turn }));
    const cuts = lockedCuts.map((one) => ({
      strip: one.strip,
      copy: one.copy,
      length: one.length,
      outline: one.outline,
    }));
    const tops = [...locked.map((one) => boxOf(job, one)[3]), ...cuts.map(({ outline }) => topOf(outline))];
    return [
      {
        stock: id,
        used: Math.max(lay?.used ?? 0, ...tops),
        placed: [...placed, ...(lay?.placed ?? []).map(piece)],
        cuts: [...cuts, ...(lay?.cuts ?? []).map(strip)],
      },
    ];
  });
  const used = lays.reduce((sum, lay) => sum + lay.used, 0);
  const endless = job.stock.find(({ length }) => length === Infinity)?.id;
  return {
    ...rest,
    lays,
    unplaced: rest.unplaced.map((one) => ('piece' in one ? piece(one) : strip(one))),
    used,
    endless: lays.find(({ stock }) => stock === endless)?.used ?? 0,
  };
}

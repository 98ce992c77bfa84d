import type { Box } from '../model/box';
import type { Nm } from '../../length';
import type { LayJob, LockedPiece, StockLength } from '../model/job';
import { boxesWithin, turnOutline } from '../model/outline';
import { phaseAt } from './phase-tracker';
import type { Lay, LayPlan } from '../model/plan';

/** Where a locked piece's box lies: x0, y0, x1, y1 nm. */
function boxOf(job: LayJob, { piece, x, y, turn }: LockedPiece): Box {
  const { width, height } = job.pieces.find(({ id }) => id === piece)!;
  return turn % 180 === 0 ? [x, y, x + width, y + height] : [x, y, x + height, y + width];
}

/**
 * The job that is left when some pieces are locked where they are: what they cover, with the gap round it, is left out like
 * flaws; copies that are locked are not laid again; a match group of which a member is locked has that member's phase.
 * With straight cuts a first cut goes across behind the locked pieces of a length, and the rest lies beyond it.
 */
export function withoutLocked(job: LayJob): LayJob {
  const { lattice, locked } = job;
  const phases = new Map<string, readonly [Nm, Nm]>();
  for (const { piece, stock, x, y } of locked) {
    const { match } = job.pieces.find(({ id }) => id === piece)!;
    const { motif } = job.stock.find(({ id }) => id === stock)!;
    if (match?.group && lattice) phases.set(match.group, phaseAt(match, motif, x, y, lattice));
  }
  return {
    ...job,
    locked: [],
    stock: job.stock.map((stock) => ({ ...stock, flaws: [...stock.flaws, ...flawsFrom(job, stock)] })),
    pieces: job.pieces.flatMap((piece) => {
      const qty = piece.qty - locked.filter((one) => one.piece === piece.id).length;
      const { match } = piece;
      const phase = match?.group ? phases.get(match.group) : undefined;
      const offset = (phase && match ? match.offset.map((at, i) => at + phase[i]!) : match?.offset) as [Nm, Nm];
      return qty > 0
        ? [{ ...piece, qty, match: match && { ...match, offset, group: phase ? null : match.group } }]
        : [];
    }),
  };
}

function flawsFrom(job: LayJob, { id, left, right }: StockLength): Box[] {
  const { gap } = job;
  const here = job.locked.filter(({ stock }) => stock === id);
  if (here.length === 0) return [];
  if (job.straight) return [[left, 0, right, Math.max(...here.map((one) => boxOf(job, one)[3])) + gap]];
  return here.flatMap((one) => {
    const { outline } = job.pieces.find((piece) => piece.id === one.piece)!;
    const boxes = outline
      ? boxesWithin(turnOutline(outline, one.turn)).map(([x0, y0, x1, y1]) => [
          one.x + x0,
          one.y + y0,
          one.x + x1,
          one.y + y1,
        ])
      : [boxOf(job, one)];
    return boxes.map(([x0, y0, x1, y1]): Box => [x0! - gap, y0! - gap, x1! + gap, y1! + gap]);
  });
}

/** The plan of the rest with the locked pieces in it again, and the copies of both counted as the job has them. */
export function withLocked(job: LayJob, rest: LayPlan): LayPlan {
  const free = new Map(
    job.pieces.map(({ id, qty }) => {
      const taken = new Set(job.locked.filter(({ piece }) => piece === id).map(({ copy }) => copy));
      return [id, Array.from({ length: qty }, (_, i) => i + 1).filter((copy) => !taken.has(copy))];
    }),
  );
  const recount = <T extends { piece: string; copy: number }>(one: T): T => ({
    ...one,
    copy: free.get(one.piece)![one.copy - 1]!,
  });
  const lays = job.stock.flatMap(({ id }): Lay[] => {
    const lay = rest.lays.find(({ stock }) => stock === id);
    const locked = job.locked.filter(({ stock }) => stock === id);
    if (!lay && locked.length === 0) return [];
    const placed = locked.map(({ piece, copy, x, y, turn }) => ({ piece, copy, x, y, turn }));
    return [
      {
        stock: id,
        used: Math.max(lay?.used ?? 0, ...locked.map((one) => boxOf(job, one)[3])),
        placed: [...placed, ...(lay?.placed ?? []).map(recount)],
        cuts: lay?.cuts ?? [],
      },
    ];
  });
  const used = lays.reduce((sum, lay) => sum + lay.used, 0);
  const endless = job.stock.find(({ length }) => length === Infinity)?.id;
  return {
    ...rest,
    lays,
    unplaced: rest.unplaced.map((one) => ('piece' in one ? recount(one) : one)),
    used,
    endless: lays.find(({ stock }) => stock === endless)?.used ?? 0,
  };
}

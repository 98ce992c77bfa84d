import ShelfPack from '@mapbox/shelf-pack';
import { MaxRectsPacker } from 'maxrects-packer';
import type { LayJob } from '@/core/lay';
import { lowerBound } from '@/core/lay';
import { blockPart, pieceParts, stripSets } from '@/core/lay/model/parts';
import { NM, type Nm } from '@/core/length';

// Plans of general packing libraries: they lay boxes, and know no phases, flaws or outlines.

interface Box {
  width: number;
  height: number;
}

/**
 * The shortest lay (nm) of the job's boxes that the libraries give, over the orders that one would try. Matched pieces take
 * whole repeats, since a library can't hold a phase; strips lie in the blocks that the engine tries first.
 */
export function lengthByLibraries(job: LayJob): Nm {
  const { lattice, gap } = job;
  const { left, right } = job.stock.at(-1)!;
  const everything = {
    pieces: new Map(job.pieces.map(({ id, qty }) => [id, qty])),
    strips: new Map(job.strips.map(({ id, qty }) => [id, qty])),
  };
  const { sets } = stripSets(job, lowerBound(job, everything));
  const parts = [...pieceParts(job), ...(sets[0] ?? []).flatMap(({ ways }) => ways[0]!.map(blockPart))];
  const whole = (size: Nm, repeat: Nm) => (repeat > 0 ? Math.ceil(size / repeat) * repeat : size);
  const unit = NM.mm / 100;
  const boxes = parts.map(({ width, height, match }): Box => {
    const isBound = match !== null && lattice !== null;
    const [w, h] = isBound ? [whole(width, lattice.across), whole(height, lattice.along)] : [width, height];
    return { width: Math.min(right - left, w) / unit + gap / unit, height: h / unit + gap / unit };
  });
  const turns = parts.every((part) => part.turns.length > 1 || part.width === part.height);
  const widest = (right - left + gap) / unit;
  const orders: ((a: Box, b: Box) => number)[] = [
    (a, b) => b.height - a.height || b.width - a.width,
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => b.width - a.width || b.height - a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
  ];
  const lengths = orders.flatMap((order) => {
    const sorted = boxes.toSorted(order);
    return [byMaxRects(sorted, widest, turns), byShelves(sorted, widest)];
  });
  return Math.min(...lengths) * unit - gap;
}

function byMaxRects(boxes: readonly Box[], width: number, turns: boolean): number {
  const high = boxes.reduce((sum, box) => sum + Math.max(box.width, box.height), 1);
  const packer = new MaxRectsPacker(width, high, 0, { smart: false, pot: false, square: false, allowRotation: turns });
  for (const { width: w, height: h } of boxes) packer.add(w, h, null);
  if (packer.bins.length !== 1) return Infinity;
  return Math.max(...packer.bins[0]!.rects.map(({ y, height }) => y + height));
}

function byShelves(boxes: readonly Box[], width: number): number {
  const high = boxes.reduce((sum, { height }) => sum + height, 1);
  const shelves = new ShelfPack(width, high);
  return boxes.reduce((most, { width: w, height }) => {
    const bin = shelves.packOne(w, height);
    return bin ? Math.max(most, bin.y + height) : Infinity;
  }, 0);
}

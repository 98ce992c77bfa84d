import type { Point } from '../lay';
import type { Nm } from '../length';
import type { CutRun } from './cut-step';

/** Two edges that are nearer than this (nm) are one cut: 1 µm, far below any knife. */
export const ONE_CUT: Nm = 1_000;

/** Items side by side along one axis, with what the axis measures of each. */
export interface BlockPart {
  items: number[];
  from: Nm;
  to: Nm;
}

/** A block in parts that straight cuts from edge to edge separate. */
export interface PartedBlock {
  run: CutRun;
  /** The axis that the cuts are measured along, a unit vector. */
  axis: Point;
  parts: BlockPart[];
}

const HALF = Math.SQRT1_2;
/** A cut across the cloth is measured along it, and the other way round; cuts on the bias along the other diagonal. */
const AXES: readonly { run: CutRun; axis: Point }[] = [
  { run: 'along', axis: [1, 0] },
  { run: 'across', axis: [0, 1] },
  { run: 'bias', axis: [HALF, HALF] },
  { run: 'bias', axis: [HALF, -HALF] },
];

/**
 * Parts a block by straight cuts from edge to edge (guillotine cuts), or gives null when no such cut frees anything. Of the ways it
 * takes the one that frees most parts at once; cuts on the bias only where nothing else does.
 */
export function partBlock(rings: readonly Point[][], items: readonly number[]): PartedBlock | null {
  let best: PartedBlock | null = null;
  for (const { run, axis } of AXES) {
    if (run === 'bias' && best) break;
    const parts = partsAlong(rings, items, axis);
    if (parts.length > (best?.parts.length ?? 1)) best = { run, axis, parts };
  }
  return best;
}

/** Items gathered so that nothing of one part reaches into the next one along the axis; in order. */
export function partsAlong(rings: readonly Point[][], items: readonly number[], [ax, ay]: Point): BlockPart[] {
  const spans = items
    .map((item) => {
      const at = rings[item]!.map(([x, y]) => x * ax + y * ay);
      return { item, from: Math.min(...at), to: Math.max(...at) };
    })
    .sort((a, b) => a.from - b.from || a.to - b.to || a.item - b.item);
  const parts: BlockPart[] = [];
  for (const { item, from, to } of spans) {
    const last = parts.at(-1);
    if (last && from < last.to - ONE_CUT) {
      last.items.push(item);
      last.to = Math.max(last.to, to);
    } else parts.push({ items: [item], from, to });
  }
  return parts;
}

import { apportion } from '../cost';
import { areaOfPiece, doubleArea, type Lay, type LayJob, type StockLength } from '../lay';
import type { Nm } from '../length';
import { beforeWash } from './shelf-item';
import type { Remnant } from './remnants';

/** Where the used length of one length of cloth went: parts (nm) that sum to it exactly. */
export interface UsedSplit {
  pieces: Nm;
  remnant: Nm;
  offcut: Nm;
  selvage: Nm;
  pattern: Nm;
  flaw: Nm;
}

export const SPLIT_PARTS = [
  'pieces',
  'remnant',
  'offcut',
  'selvage',
  'pattern',
  'flaw',
] as const satisfies (keyof UsedSplit)[];

/** The split of a length of which nothing was used. */
export const NOTHING_USED: UsedSplit = { pieces: 0, remnant: 0, offcut: 0, selvage: 0, pattern: 0, flaw: 0 };

/** A length of cloth, beside the lay on it. */
interface SplitContext {
  /** Its full width, selvages included (nm). */
  fullWidth: Nm;
  /** The remnants that are kept of it. */
  kept: readonly Pick<Remnant, 'area'>[];
  /** The part of the used length that is there for the pattern alone, 0 to 1 (`patternPart`). */
  patternPart: number;
  /** The part of the length that washing takes. */
  shrinkage?: number | undefined;
}

/**
 * Splits the used length of a lay by where its area went: pieces and strips, remnants kept, selvages, flaws, the pattern, and the rest,
 * offcuts. Areas decide the parts; as lengths (nm, as on the shelf) they sum to the used length to the nanometre.
 */
export function splitUsed(job: LayJob, lay: Lay, context: SplitContext): UsedSplit {
  const stock = job.stock.find(({ id }) => id === lay.stock)!;
  const { fullWidth, kept, patternPart, shrinkage } = context;
  const total = fullWidth * lay.used;
  const pieces = areaLaid(job, lay);
  const remnant = kept.reduce((sum, { area }) => sum + area, 0);
  const selvage = Math.max(0, fullWidth - (stock.right - stock.left)) * lay.used;
  const flaw = flawArea(stock, lay.used);
  const free = Math.max(0, total - pieces - remnant - selvage - flaw);
  const pattern = Math.min(free, Math.max(0, patternPart) * (stock.right - stock.left) * lay.used);
  const used = beforeWash(lay.used, shrinkage);
  const parts = apportion(used, [pieces, remnant, free - pattern, selvage, pattern, flaw]);
  return Object.fromEntries(SPLIT_PARTS.map((name, i) => [name, parts[i]!])) as unknown as UsedSplit;
}

/** The area (nm²) of the pieces and strip cuts on one length. */
function areaLaid(job: LayJob, { placed, cuts }: Pick<Lay, 'placed' | 'cuts'>): number {
  const areas = new Map(job.pieces.map((piece) => [piece.id, areaOfPiece(piece)]));
  return (
    placed.reduce((sum, { piece }) => sum + (areas.get(piece) ?? 0), 0) +
    cuts.reduce((sum, { outline }) => sum + Math.abs(doubleArea(outline)) / 2, 0)
  );
}

/** Area of a length's flaws within the used part (nm²); flaws that overlap count once each. */
const flawArea = ({ flaws, left, right }: StockLength, used: Nm) =>
  flaws.reduce((sum, [x0, y0, x1, y1]) => {
    const [wide, long] = [Math.min(x1, right) - Math.max(x0, left), Math.min(y1, used) - Math.max(y0, 0)];
    return sum + Math.max(0, wide) * Math.max(0, long);
  }, 0);

/** The part of a lay that is there for its pattern alone: how much shorter the same pieces lie where nothing has to match. */
export const patternPart = (used: Nm, withoutPattern: Nm | null): number =>
  withoutPattern === null || used <= 0 ? 0 : Math.max(0, 1 - withoutPattern / used);

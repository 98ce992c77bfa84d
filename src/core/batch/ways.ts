import { TURN_ANGLES, type Cloth } from '../cloth';
import type { ClothJob, JobPart, WideWay } from '../cutlist';
import { turnOutline, type LayJob, type LayPiece, type LayPlan } from '../lay';
import { inches, NM, printLength, STYLES, type Nm, type Units } from '../length';

/** One thing that is done another way than the lay as it is. */
export type WayChange =
  /** The pattern only alike, not centred; or not matched at all. */
  | { is: 'match'; to: 'alike' | 'none' }
  /** Piping on the bias, or straight across the cloth. */
  | { is: 'piping'; to: 'straight' | 'bias' }
  /** Cloth of another width (nm, selvages and all) at the same price for its length. */
  | { is: 'width'; width: Nm }
  /** Off a fresh roll, whatever lies on the shelf. */
  | { is: 'stock'; to: 'roll' }
  | { is: 'cut'; to: 'free' | 'straight' }
  /** All pieces of that name run along the bolt. */
  | { is: 'turn'; part: string }
  /** A part that is wider than the cloth: joined, or run along the bolt. */
  | { is: 'panels'; orderNo: string; line: string; part: string; to: WideWay };

/** Another way of laying the same, and what it is called. */
export interface Way {
  name: string;
  changes: WayChange[];
}

/** Widths at which cloth is sold (common practice, no source), in the units of the cloth's papers. */
const WIDTHS: Record<Units, Nm[]> = {
  in: [45, 54, 60, 72].map(inches),
  mm: [1_120, 1_370, 1_500, 1_800].map((mm) => mm * NM.mm),
};
/** Most parts that are offered to be turned. */
const MOST_TURNED = 4;
/** Cloth is the same width when it differs by no more than this. */
const SAME_WIDTH: Nm = inches(1);

/** Lists the other ways to lay a job, each by itself. Ways that the cut list knows of (`panels`) come beside these. */
export function waysOf({ job, parts }: { job: LayJob; parts: readonly JobPart[] }, cloth: Cloth, units: Units): Way[] {
  const ways: Way[] = [];
  const add = (name: string, ...changes: WayChange[]) => ways.push({ name, changes });
  const matched = job.pieces.filter(({ match }) => match);
  if (matched.some(({ match }) => match!.group === null))
    add('All alike, no motif centred', { is: 'match', to: 'alike' });
  if (matched.length > 0) add('Without matching the pattern', { is: 'match', to: 'none' });
  if (job.strips.some(({ grain }) => grain === 'bias'))
    add('Piping cut straight across', { is: 'piping', to: 'straight' });
  if (job.strips.some(isStraightPiping)) add('Piping cut on the bias', { is: 'piping', to: 'bias' });
  if (job.stock.length > 1 || job.stock[0]!.id !== 'roll')
    add('Off a fresh roll, nothing from the shelf', { is: 'stock', to: 'roll' });
  add(job.straight ? 'Cut freely, piece by piece' : 'Straight cuts from edge to edge', {
    is: 'cut',
    to: job.straight ? 'free' : 'straight',
  });
  for (const part of turnable(job.pieces, parts)) add(`${capital(part)} along the bolt`, { is: 'turn', part });
  if (!cloth.sheetLength)
    for (const width of WIDTHS[units].filter((one) => Math.abs(one - cloth.width) > SAME_WIDTH))
      add(`On cloth ${printLength(width, STYLES[units])} wide`, { is: 'width', width });
  return ways;
}

/** Straight strips that could as well be piping: the cut lists call them so. */
const isStraightPiping = ({ id, grain }: LayJob['strips'][number]) =>
  grain === 'across' && /piping|welt|cording/.test(id);

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Names of oblong pieces that hold no pattern, those that take most cloth first. */
function turnable(pieces: readonly LayPiece[], parts: readonly JobPart[]): string[] {
  const names = new Map(parts.map(({ id, name }) => [id, name]));
  const areas = new Map<string, number>();
  for (const { id, match, width, height, qty, turns } of pieces) {
    if (match || width === height || turns.includes(90)) continue;
    const name = names.get(id)!;
    areas.set(name, (areas.get(name) ?? 0) + width * height * qty);
  }
  return [...areas]
    .sort((a, b) => b[1] - a[1])
    .map(([name]) => name)
    .slice(0, MOST_TURNED);
}

/** A job with what is done another way; `panels` are done in the cut list, before. */
export const changed = (one: ClothJob, cloth: Cloth, changes: readonly WayChange[]): ClothJob =>
  changes.reduce<ClothJob>((now, change) => changedBy(now, cloth, change), one);

function changedBy({ job, parts }: ClothJob, cloth: Cloth, change: WayChange): ClothJob {
  const free: LayJob = { ...job, locked: [], lockedCuts: [] };
  switch (change.is) {
    case 'match':
      return { parts, job: { ...free, pieces: job.pieces.map((piece) => loosened(piece, change.to, parts, cloth)) } };
    case 'piping': {
      const isMeant =
        change.to === 'straight' ? ({ grain }: LayJob['strips'][number]) => grain === 'bias' : isStraightPiping;
      const grain = change.to === 'straight' ? 'across' : 'bias';
      return {
        parts,
        job: { ...free, strips: job.strips.map((strip) => (isMeant(strip) ? { ...strip, grain } : strip)) },
      };
    }
    case 'width':
      return { parts, job: { ...free, stock: [{ ...freshRoll(job, cloth), right: change.width - cloth.selvage[1] }] } };
    case 'stock':
      return { parts, job: { ...free, stock: [freshRoll(job, cloth)] } };
    case 'cut':
      return { parts, job: { ...free, straight: change.to === 'straight' } };
    case 'turn': {
      const meant = new Set(parts.filter(({ name, isStrip }) => !isStrip && name === change.part).map(({ id }) => id));
      return {
        job: {
          ...free,
          pieces: job.pieces.map((piece) => (meant.has(piece.id) && !piece.match ? onItsSide(piece) : piece)),
        },
        parts: parts.map((part) =>
          meant.has(part.id) ? { ...part, size: [part.size[1], part.size[0]], sum: [part.sum[1], part.sum[0]] } : part,
        ),
      };
    }
    case 'panels':
      return { parts, job: free };
  }
}

function loosened(piece: LayPiece, to: 'alike' | 'none', parts: readonly JobPart[], cloth: Cloth): LayPiece {
  const { match } = piece;
  if (!match) return piece;
  if (to === 'none') return { ...piece, match: null, turns: TURN_ANGLES[cloth.turns] };
  const { orderNo, line } = parts.find(({ id }) => id === piece.id)!;
  return match.group === null ? { ...piece, match: { ...match, group: `${orderNo}/${line}` } } : piece;
}

const onItsSide = (piece: LayPiece): LayPiece => ({
  ...piece,
  width: piece.height,
  height: piece.width,
  outline: piece.outline && turnOutline(piece.outline, 90),
});

const freshRoll = (job: LayJob, cloth: Cloth): LayJob['stock'][number] => ({
  id: 'roll',
  length: Infinity,
  left: cloth.selvage[0],
  right: cloth.width - cloth.selvage[1],
  motif: job.lattice && cloth.motif ? [Math.round(cloth.motif[0]), Math.round(cloth.motif[1])] : [0, 0],
  flaws: [],
  outline: null,
});

/** Handwork of a plan: pieces and strips to be cut out, and seams that only join what one cut could not give. */
export function workOf(plan: Pick<LayPlan, 'lays'>, parts: readonly JobPart[]): { cuts: number; seams: number } {
  const cuts = plan.lays.flatMap((lay) => lay.cuts);
  const pieces = plan.lays.flatMap(({ placed }) => placed);
  const strips = new Set(cuts.map(({ strip, copy }) => `${strip} ${copy}`)).size;
  // A panel that is joined is cut in parts: left, middle and right.
  const names = new Map(parts.map(({ id, name }) => [id, name]));
  const joins = pieces.filter(({ piece }) => / (middle( \d+)?|right)$/.test(names.get(piece) ?? '')).length;
  return { cuts: pieces.length + cuts.length, seams: cuts.length - strips + joins };
}

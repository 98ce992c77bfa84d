import type { Nm } from '../length';
import type { LayJob, LayPiece } from './job';
import { fewestCuts, longestBias } from './strips';

/**
 * The length (nm) that the job takes laid by hand: shelf after shelf of equal pieces across the full usable width,
 * each matched piece rounded up to whole repeats, strips cut in full widths or lengths, bias from a block of the full
 * width. Strips are taken before panels leave anything. Source: handbook, "Lay out": common practice, no source.
 * What does not fit the cloth is left out.
 */
export function handLength(job: LayJob): Nm {
  const roll = job.stock.at(-1)!;
  const usable = roll.right - roll.left;
  const pieces = job.pieces.reduce((sum, piece) => sum + shelves(job, piece, usable), 0);
  return pieces + job.strips.reduce((sum, strip) => sum + stripLength(job, strip, usable), 0);
}

function shelves({ lattice, gap }: LayJob, { width, height, qty, turns, match }: LayPiece, usable: Nm): Nm {
  const lies = turns.includes(0) && width <= usable ? [width, height] : turns.includes(90) && height <= usable ? [height, width] : null;
  if (!lies) return 0;
  const [w, h] = match && lattice ? [roundUp(lies[0]!, lattice.across), roundUp(lies[1]!, lattice.along)] : lies;
  const perShelf = Math.max(1, Math.floor((usable + gap) / (w! + gap)));
  return Math.ceil(qty / perShelf) * (h! + gap);
}

const roundUp = (size: Nm, repeat: Nm) => (repeat > 0 ? Math.ceil(size / repeat) * repeat : size);

function stripLength({ gap }: LayJob, strip: LayJob['strips'][number], usable: Nm): Nm {
  const want = { ...strip, strip: strip.id, copy: 1 };
  if (strip.grain === 'across') return (fewestCuts(want, usable) ?? 0) * (strip.width + gap) * strip.qty;
  if (strip.grain === 'bias') {
    const cuts = fewestCuts(want, longestBias(usable)) ?? 0;
    return Math.ceil(cuts * strip.qty * (strip.width + gap) * Math.SQRT2) + usable;
  }
  const abreast = Math.max(1, Math.floor((usable + gap) / (strip.width + gap)));
  const cuts = Math.max(1, Math.min(abreast, Math.floor(strip.length / Math.max(strip.least, strip.loss + 1))));
  return Math.ceil((strip.length + (cuts - 1) * strip.loss) / cuts) * Math.ceil((cuts * strip.qty) / abreast);
}

import { nextAcross, nextAlong, phaseOf, type Lattice } from '../cloth';
import { NM, type Nm } from '../length';
import type { LayJob, LayPiece } from './job';
import { fewestCuts, longestBias } from './strips';

/**
 * The length (nm) that the job takes laid by hand on an endless cloth: shelf after shelf of equal pieces across the full
 * usable width, a matched piece always a whole number of repeats after its neighbour and the one before it, strips cut
 * in full widths or lengths, bias from a block of the full width. Nothing lies in what a shelf leaves.
 * Source: handbook, "Lay out": common practice, no source. What does not fit the cloth is left out.
 */
export function handLength(job: LayJob): Nm {
  const roll = job.stock.at(-1)!;
  const usable = roll.right - roll.left;
  const phases = new Map<string, readonly [Nm, Nm]>();
  let y = 0;
  for (const piece of job.pieces) y = shelvesEnd(job, piece, roll.left, roll.right, y, phases);
  const strips = job.strips.reduce((sum, strip) => sum + stripLength(job, strip, usable), 0);
  return strips > 0 ? y + strips : Math.max(0, y - job.gap);
}

/** Where the shelves of one piece end (its gap included) when they start at y. */
function shelvesEnd(
  job: LayJob,
  piece: LayPiece,
  left: Nm,
  right: Nm,
  start: Nm,
  phases: Map<string, readonly [Nm, Nm]>,
): Nm {
  const { lattice, gap } = job;
  const upright = piece.turns.includes(0) && piece.width <= right - left;
  if (!upright && !(piece.turns.includes(90) && piece.height <= right - left)) return start;
  const [w, h] = upright ? [piece.width, piece.height] : [piece.height, piece.width];
  const phase = lattice && cornerPhase(piece, lattice, left, start, phases);
  const firstX = phase ? nextAcross(left, phase[0], lattice!) : left;
  if (firstX + w > right) return start;
  let y = start;
  for (let waiting = piece.qty; waiting > 0;) {
    let end = y;
    for (let x = firstX; waiting > 0 && x + w <= right; waiting--) {
      const at = phase ? nextAlong(x, y, phase, lattice!) : y;
      end = Math.max(end, at + h + gap);
      x = phase ? nextAcross(x + w + gap, phase[0], lattice!) : x + w + gap;
    }
    y = end;
  }
  return y;
}

/** The phase of the piece's lower left corner; a group takes it from where its first member starts. */
function cornerPhase({ match }: LayPiece, lattice: Lattice, x: Nm, y: Nm, phases: Map<string, readonly [Nm, Nm]>) {
  if (!match) return null;
  const [dx, dy] = [match.anchor[0] - match.offset[0], match.anchor[1] - match.offset[1]];
  if (match.group === null) return phaseOf(-dx, -dy, lattice);
  const phase = phases.get(match.group) ?? phaseOf(x + dx, y + dy, lattice);
  phases.set(match.group, phase);
  return phaseOf(phase[0] - dx, phase[1] - dy, lattice);
}

/** By hand nobody joins a strip from cuts under a foot. */
const SHORTEST = 12 * NM.in;

function stripLength({ gap }: LayJob, strip: LayJob['strips'][number], usable: Nm): Nm {
  const want = { ...strip, strip: strip.id, copy: 1 };
  if (strip.grain === 'across') return (fewestCuts(want, usable) ?? 0) * (strip.width + gap) * strip.qty;
  if (strip.grain === 'bias') {
    const cuts = fewestCuts(want, longestBias(usable)) ?? 0;
    return Math.ceil(cuts * strip.qty * (strip.width + gap) * Math.SQRT2) + usable;
  }
  const abreast = Math.max(1, Math.floor((usable + gap) / (strip.width + gap)));
  const cuts = Math.max(1, Math.min(abreast, Math.floor(strip.length / Math.max(strip.least, SHORTEST))));
  const each = Math.max(strip.least, Math.ceil((strip.length + (cuts - 1) * strip.loss) / cuts));
  return (each + gap) * Math.ceil((cuts * strip.qty) / abreast);
}

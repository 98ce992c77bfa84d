import { nextAcross, nextAlong, phaseOf, type Lattice } from '../cloth';
import { NM, type Nm } from '../length';
import type { LayJob, LayPiece } from './job';
import { fewestCuts, longestBias } from './strips';

/**
 * The length (nm) that the job takes laid by hand on an endless cloth: shelf after shelf across the full usable width, the
 * tallest pieces first, a matched piece always a whole number of repeats after its neighbour and the one before it, strips
 * cut in full widths or lengths, bias from a block of the full width. Nothing lies in what a shelf leaves above a piece.
 * Source: handbook, "Lay out": common practice, no source. What does not fit the cloth is left out.
 */
export function handLength(job: LayJob): Nm {
  const roll = job.stock.at(-1)!;
  const usable = roll.right - roll.left;
  const y = shelvesEnd(job, roll.left, roll.right);
  const strips = job.strips.reduce((sum, strip) => sum + stripLength(job, strip, usable), 0);
  return strips > 0 ? y + strips : Math.max(0, y - job.gap);
}

/** Where the shelves of all pieces end, the last gap included. */
function shelvesEnd(job: LayJob, left: Nm, right: Nm): Nm {
  const { lattice, gap } = job;
  const phases = new Map<string, readonly [Nm, Nm]>();
  const fitting = job.pieces.flatMap((piece) => {
    const { turns, width, height } = piece;
    const upright = turns.includes(0) && width <= right - left;
    if (!upright && !(turns.includes(90) && height <= right - left)) return [];
    return [upright ? { piece, w: width, h: height } : { piece, w: height, h: width }];
  });
  let shelf = 0;
  let end = 0;
  let free = left;
  for (const { piece, w, h } of fitting.sort((a, b) => b.h - a.h)) {
    const phase = lattice && cornerPhase(piece, lattice, left, shelf, phases);
    if (phase && nextAcross(left, phase[0], lattice!) + w > right) continue;
    for (let waiting = piece.qty; waiting > 0; waiting--) {
      const nextX = () => (phase ? nextAcross(free, phase[0], lattice!) : free);
      if (nextX() + w > right) {
        shelf = end;
        free = left;
      }
      const x = nextX();
      end = Math.max(end, (phase ? nextAlong(x, shelf, phase, lattice!) : shelf) + h + gap);
      free = x + w + gap;
    }
  }
  return end;
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

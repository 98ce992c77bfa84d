import { canShareAPhase, latticeOf, missAcross, usableWidth, type Cloth, type Lattice, type Span } from '../cloth';
import { printLength, STYLES, type Nm, type OrderUnits } from '../length';
import { turned, type CoverPart } from './panels';

// Checks before anything is laid that matched parts can lie on their cloth with the pattern where the order wants it.

/** Where a part's corner may lie across its cloth, and where the pattern wants it: its own place, or relative to its group's. */
function spanOf({ across, match, centre }: CoverPart, cloth: Cloth): Span {
  const from = cloth.selvage[0];
  const start = match!.delta[0] - match!.anchor[0];
  const phase = centre ? (cloth.motif?.[0] ?? 0) + centre[0] + start : start;
  return { from, to: from + usableWidth(cloth) - across, phase };
}

/** By how much (nm) a part whose motif is centred misses the cloth, 0 when it has a place or is not centred. */
export function missOfMotif(part: CoverPart, cloth: Cloth): Nm {
  const lattice = latticeOf(cloth.repeat);
  if (!lattice || lattice.across === 0 || !part.match || !part.centre) return 0;
  return Math.ceil(missAcross(spanOf(part, cloth), lattice));
}

/** Ways out for a part that has no place: each only where it would work. */
function waysOut(
  part: CoverPart,
  all: readonly CoverPart[],
  canJoin: boolean,
  cloth: Cloth,
  lattice: Lattice,
): string[] {
  const alike = all.map(({ centre: _, ...rest }) => rest);
  const sideways = turned(part);
  return [
    part.centre &&
    canShareAPhase(
      alike.map((one) => spanOf(one, cloth)),
      lattice,
    )
      ? 'match it all alike instead'
      : '',
    canJoin ? 'join it from a whole width' : '',
    cloth.turns !== 'none' && part.along <= usableWidth(cloth) && missOfMotif(sideways, cloth) === 0
      ? 'turn it sideways'
      : '',
    'take another cloth',
  ].filter(Boolean);
}

const inWords = (ways: readonly string[]) => {
  const text = ways.length > 1 ? `${ways.slice(0, -1).join(', ')} or ${ways.at(-1)!}` : ways[0]!;
  return `${text[0]!.toUpperCase()}${text.slice(1)}.`;
};

/** The sentence for a part whose motif can't be centred: by how much it misses, and what would work. */
export function motifMissed(
  part: CoverPart,
  all: readonly CoverPart[],
  canJoin: boolean,
  cloth: Cloth,
  units: OrderUnits,
): string {
  const say = (length: Nm) => printLength(length, STYLES[units]);
  const lattice = latticeOf(cloth.repeat)!;
  return `The ${part.name}, ${say(part.across)} across, can’t have its motif centred on ${cloth.name}, ${say(usableWidth(cloth))} between its selvages: where the pattern is right for it, it would reach ${say(missOfMotif(part, cloth))} past the edge. ${inWords(waysOut(part, all, canJoin, cloth, lattice))}`;
}

/**
 * The sentence for parts that are to be all alike but can't share one place of the pattern on this cloth, with the widest of
 * them; null when they can.
 */
export function alikeMissed(parts: readonly CoverPart[], cloth: Cloth, units: OrderUnits): string | null {
  const lattice = latticeOf(cloth.repeat);
  // Parts that are wider than the cloth are joined.
  const alike = parts.filter(
    ({ match, centre, group, across }) => match && !centre && !group && across <= usableWidth(cloth),
  );
  if (
    !lattice ||
    alike.length < 2 ||
    canShareAPhase(
      alike.map((one) => spanOf(one, cloth)),
      lattice,
    )
  )
    return null;
  const say = (length: Nm) => printLength(length, STYLES[units]);
  const widest = alike.reduce((most, one) => (one.across > most.across ? one : most));
  return `The ${widest.name}, ${say(widest.across)} across, can’t show the same piece of the pattern as the other parts on ${cloth.name}, ${say(usableWidth(cloth))} between its selvages. Cut it without matching, turn it sideways or take another cloth.`;
}

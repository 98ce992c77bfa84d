import { usableWidth, type Cloth } from '../cloth';
import type { CoverMark, Role, TakeOff } from '../covers';
import { longLength, printLength, STYLES, type Nm, type OrderUnits } from '../length';
import type { CutList, WidePart } from './cut-piece';
import { alikeMissed, missOfMotif, motifMissed } from './motif-places';
import type { OrderLine } from './order-line';
import {
  joinedParts,
  joinOf,
  lengthInRows,
  narrowJoin,
  turned,
  type CoverPart,
  type PieceMark,
  type WideWay,
} from './panels';

/** The parts of a cover as they are cut: matched where the line is, turned to their direction, joined where they are wider than the cloth. */
export function partsOf(
  list: CutList,
  line: OrderLine,
  { pieces, marks, centre, seam }: TakeOff,
  clothOf: (role: Role) => Cloth | undefined,
  units: OrderUnits,
): CoverPart[] {
  const isMatched = line.matching !== undefined && line.matching !== 'none';
  const first = pieces.find(({ match }) => match);
  const isTurned = (name: string) => line.directions?.[name] === 'across';
  const parts = pieces.map(({ match, ...piece }): CoverPart => {
    const own = marks.filter((mark) => mark.piece === piece.name).map((mark) => markOn(mark, piece));
    const part: CoverPart = { ...piece, ...(own.length > 0 && { marks: own }) };
    if (isMatched && match) part.match = match;
    // A centred motif is centred on the first matched part; a part that runs another way has its own phase.
    if (part.match && line.matching === 'centred' && centre && isTurned(piece.name) === isTurned(first!.name))
      part.centre = [first!.match!.anchor[0] - centre[0], first!.match!.anchor[1] - centre[1]];
    const direction = line.directions?.[piece.name];
    const laid = direction === 'across' ? turned(part) : part;
    if (direction === 'along' || direction === 'across') laid.isFixed = true;
    return laid;
  });
  const onCloth = (cloth: Cloth) => parts.filter(({ role }) => clothOf(role) === cloth);
  for (const cloth of new Set(parts.flatMap(({ role }) => clothOf(role) ?? []))) {
    const message = alikeMissed(onCloth(cloth), cloth, units);
    if (message)
      list.warnings.push({ line: line.id, code: 'motif-no-place', field: 'matching', level: 'stop', message });
  }
  return parts.flatMap((part) => {
    const cloth = clothOf(part.role);
    if (!cloth) return [part];
    const alike = onCloth(cloth).filter(({ across, along }) => across === part.across && along === part.along);
    const copies = alike.reduce((sum, { qty }) => sum + qty, 0);
    if (missOfMotif(part, cloth) === 0) return fitted(list, line, part, copies, cloth, seam, units);
    const others = onCloth(cloth).filter(({ match, group }) => match && !group);
    return moved(list, line, part, others, copies, cloth, seam, units);
  });
}

/** A mark in the frame of its piece: a line runs from edge to edge. */
function markOn({ n, name, sort, across, along }: CoverMark, piece: { across: Nm; along: Nm }): PieceMark {
  const points: [Nm, Nm][] =
    across !== null && along !== null
      ? [[across, along]]
      : along !== null
        ? [
            [0, along],
            [piece.across, along],
          ]
        : [
            [across ?? 0, 0],
            [across ?? 0, piece.along],
          ];
  return { n, name, sort, points };
}

/** A part whose motif has no place on its cloth: joined where that is wanted, else told and left as it is. */
function moved(
  list: CutList,
  line: OrderLine,
  part: CoverPart,
  others: readonly CoverPart[],
  copies: number,
  cloth: Cloth,
  seam: Nm,
  units: OrderUnits,
): CoverPart[] {
  const usable = usableWidth(cloth);
  if (part.across > usable) return fitted(list, line, part, copies, cloth, seam, units);
  const joined = joinedParts(part, narrowJoin(part.across, seam, missOfMotif(part, cloth)), seam, true, units);
  const canJoin = joined.every((one) => missOfMotif(one, cloth) === 0);
  const chosen = canJoin && line.panels?.[part.name] === 'join' ? 'join' : null;
  if (canJoin) {
    const length = lengthOfCovers(joined, line.qty, cloth);
    list.wide.push({
      line: line.id,
      part: part.name,
      cloth: cloth.name,
      across: part.across,
      usable,
      why: 'motif',
      ways: [{ way: 'join', pieces: joined.length, length }],
      chosen,
    });
  }
  if (chosen) return joined;
  const message = motifMissed(part, others, canJoin, cloth, units);
  list.warnings.push({ line: line.id, code: 'motif-no-place', field: 'matching', level: 'stop', message });
  return [part];
}

/** The length in plain rows (nm) that parts of one cover take for so many covers. */
const lengthOfCovers = (parts: readonly CoverPart[], covers: number, cloth: Cloth): Nm =>
  lengthInRows(
    parts.map((one) => ({ ...one, qty: one.qty * covers })),
    cloth,
  );

/** Up to this much more cloth is worth going without the seams of a joined panel. Common practice, no source. */
const WORTH_A_SEAM = 1.15;

/**
 * A part on its cloth: as it is, or where it is wider than the cloth, joined or run along the bolt. `copies`: how many parts of one cover
 * have its size, since they lie beside each other.
 */
function fitted(
  list: CutList,
  line: OrderLine,
  part: CoverPart,
  copies: number,
  cloth: Cloth,
  seam: Nm,
  units: OrderUnits,
): CoverPart[] {
  const usable = usableWidth(cloth);
  const join = joinOf(part.across, usable, seam);
  if (!join) return [part];
  const joined = joinedParts(part, join, seam, cloth.repeat !== null, units);
  const sideways = part.along <= usable ? { ...turned(part), isFixed: true } : null;
  const all = (parts: readonly CoverPart[]) =>
    lengthOfCovers(
      parts.map((one) => ({ ...one, qty: copies })),
      line.qty,
      cloth,
    );
  const ways: WidePart['ways'] = [{ way: 'join', pieces: joined.length, length: all(joined) }];
  if (sideways) ways.push({ way: 'sideways', pieces: 1, length: all([sideways]) });
  // Grain hardly matters on a cover, the direction of a pattern or a nap does: where there is neither, the panel runs along
  // the bolt unless the seams save much cloth.
  const [joinedLength, sidewaysLength] = [ways[0]!.length, ways[1]?.length ?? Infinity];
  const isFree = !cloth.repeat && cloth.turns !== 'none' && line.directions?.[part.name] === undefined;
  const usual: WideWay = isFree && sidewaysLength <= WORTH_A_SEAM * joinedLength ? 'sideways' : 'join';
  const wanted = line.panels?.[part.name] ?? usual;
  const chosen = wanted === 'sideways' && sideways ? 'sideways' : 'join';
  list.wide.push({
    line: line.id,
    part: part.name,
    cloth: cloth.name,
    across: part.across,
    usable,
    why: 'width',
    ways,
    chosen,
  });
  const say = (length: Nm) => printLength(length, STYLES[units]);
  const long = (length: Nm) => longLength(length, units).replace('≈ ', '');
  const other =
    chosen === 'join' && sideways
      ? `: ${long(joinedLength)}, along the bolt ${long(sidewaysLength)}`
      : chosen === 'sideways'
        ? `: ${long(sidewaysLength)} and no seam, joined ${long(joinedLength)}`
        : '';
  list.warnings.push({
    line: line.id,
    code: 'panel-wide',
    field: 'panels',
    level: 'warn',
    message:
      chosen === 'join'
        ? `The ${part.name} is ${say(part.across)} across and ${cloth.name} ${say(usable)} between its selvages: it is joined from ${joined.length} widths, the whole one in the middle${other}.`
        : `The ${part.name} is ${say(part.across)} across and ${cloth.name} ${say(usable)} between its selvages: it is run along the bolt${other}.`,
  });
  return chosen === 'join' ? joined : [sideways!];
}

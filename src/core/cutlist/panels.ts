import { usableWidth, type Cloth } from '../cloth';
import { sliceOutline, type Axis, type MarkSort, type MatchPoint, type Role } from '../covers';
import { printNumber, STYLES, type Nm, type OrderUnits } from '../length';

/** Which side of a part lies along the bolt: its along (as drawn), its across (turned a quarter), or whichever saves cloth. */
export const DIRECTIONS = ['along', 'across', 'any'] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** How a panel that is wider than the cloth is cut: joined from several widths, or run along the bolt. */
export const WIDE_WAYS = ['join', 'sideways'] as const;
export type WideWay = (typeof WIDE_WAYS)[number];

/** A mark in a piece's own frame (nm): a point, or a line from one point to another. */
export interface PieceMark {
  n: number;
  name: string;
  sort: MarkSort;
  points: [Nm, Nm][];
}

/** A part before it is sorted by cloth and multiplied by the order's quantity. */
export interface CoverPart {
  name: string;
  role: Role;
  qty: number;
  axes: [Axis, Axis];
  across: Nm;
  along: Nm;
  sum: [string, string];
  outline?: [Nm, Nm][];
  match?: MatchPoint;
  /** Added to an anchor's phase so that the motif is centred. */
  centre?: [Nm, Nm];
  /** Parts of one name here share the pattern among themselves only. */
  group?: string;
  /** It keeps its direction although the cloth would let it turn. */
  isFixed?: boolean;
  /** Its marks. */
  marks?: PieceMark[];
}

/** The proposal of the kind and the cloth: cloth without direction leaves the choice to the lay. */
export const proposedDirection = ({ turns, repeat }: Pick<Cloth, 'turns' | 'repeat'>): Direction =>
  turns === 'any' && !repeat ? 'any' : 'along';

/** The part turned a quarter counter-clockwise: what ran across now runs along the bolt. */
export function turned(part: CoverPart): CoverPart {
  const { across, along, axes, sum, outline, match, centre, marks } = part;
  const point = ([x, y]: [Nm, Nm]): [Nm, Nm] => [along - y, x];
  const vector = ([x, y]: [Nm, Nm]): [Nm, Nm] => [0 - y, x];
  return {
    ...part,
    across: along,
    along: across,
    axes: [axes[1], axes[0]],
    sum: [sum[1], sum[0]],
    ...(outline && { outline: outline.map(point) }),
    ...(marks && { marks: marks.map((mark) => ({ ...mark, points: mark.points.map(point) })) }),
    ...(match && { match: { anchor: point(match.anchor), delta: vector(match.delta) }, group: 'sideways' }),
    ...(centre && { centre: vector(centre) }),
  };
}

/** The widths of a joined panel: whole widths in the middle, an odd number so that no seam runs down the centre, and equal sides. */
export interface Join {
  wholes: number;
  whole: Nm;
  side: Nm;
}

/**
 * How a panel `across` is joined from a cloth `usable` wide with a seam allowance at every join, or null when it need not
 * be or can't be (a side would be no more than its seams). Rule: a whole width in the middle and equal parts at both
 * sides, no seam down the centre; common practice, no source.
 */
export function joinOf(across: Nm, usable: Nm, seam: Nm): Join | null {
  if (across <= usable || usable <= 4 * seam) return null;
  for (let wholes = 1; ; wholes += 2) {
    // Every join takes two seam allowances; there are wholes + 1 of them.
    const side = Math.ceil((across - wholes * usable + 2 * seam * (wholes + 1)) / 2);
    if (side <= usable) return side > 2 * seam ? { wholes, whole: usable, side } : narrowed(across, wholes, seam);
  }
}

/** A panel that would fit its cloth but for its motif: the middle is as much narrower as that misses at either side, and more. */
export function narrowJoin(across: Nm, seam: Nm, miss: Nm): Join {
  const side = 4 * seam + miss;
  return { wholes: 1, side, whole: across - 2 * side + 4 * seam };
}

/** Where equal sides would be slivers the middle is cut narrower: sides at least four seam allowances wide. */
function narrowed(across: Nm, wholes: number, seam: Nm): Join {
  const side = 4 * seam;
  return { wholes, side, whole: Math.floor((across - 2 * side + 2 * seam * (wholes + 1)) / wholes) };
}

/** The parts of a joined panel from left to right; on patterned cloth each goes on from its neighbour at the seam. */
export function joinedParts(part: CoverPart, join: Join, seam: Nm, hasRepeat: boolean, units: OrderUnits): CoverPart[] {
  const n = (length: Nm) => printNumber(length, STYLES[units]).text;
  const { wholes, whole, side } = join;
  const widths = [side, ...new Array<Nm>(wholes).fill(whole), side];
  const sideSum = `(${n(part.across)} - ${wholes === 1 ? '' : `${wholes} x `}${n(whole)} + ${2 * (wholes + 1)} x ${n(seam)}) / 2 = ${n(side)}`;
  const names = [
    'left',
    ...(wholes === 1 ? ['middle'] : Array.from({ length: wholes }, (_, i) => `middle ${i + 1}`)),
    'right',
  ];
  const anchor = part.match?.anchor ?? [0, 0];
  const delta = part.match?.delta ?? [0, 0];
  let at = 0;
  return widths.map((width, i): CoverPart => {
    // The last part ends where the panel ends; half a nanometre of rounding falls on it.
    const from = i === widths.length - 1 ? part.across - width : at;
    at += width - 2 * seam;
    const outline = part.outline && sliceOutline(part.outline, from, from + width);
    // Its marks are made once it is joined.
    const { marks: _, ...whole } = part;
    return {
      ...whole,
      name: `${part.name}, ${names[i]!}`,
      across: width,
      sum: [i === 0 || i === widths.length - 1 ? sideSum : `a whole width, ${n(width)}`, part.sum[1]],
      ...(outline && { outline }),
      isFixed: true,
      ...(hasRepeat && { match: { anchor: [0, 0], delta: [from - anchor[0] + delta[0], delta[1] - anchor[1]] } }),
      ...(hasRepeat && !part.match && { group: `joined ${part.name}` }),
    };
  });
}

/** The length that parts take in rows across the cloth, each row as high as its part, rounded up to the pattern's repeat. */
export function lengthInRows(parts: readonly { across: Nm; along: Nm; qty: number }[], cloth: Cloth): Nm {
  const usable = usableWidth(cloth);
  const repeat = cloth.repeat?.along ?? 0;
  return parts.reduce((sum, { across, along, qty }) => {
    const rows = Math.ceil(qty / Math.max(1, Math.floor(usable / across)));
    return sum + rows * (repeat > 0 ? Math.ceil(along / repeat) * repeat : along);
  }, 0);
}

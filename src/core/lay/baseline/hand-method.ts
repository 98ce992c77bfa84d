import { nextAcross, nextAlong, phaseOf, type Lattice } from '../../cloth';
import { NM, type Nm } from '../../length';
import type { LayJob, LayPiece, LayStrip } from '../model/job';
import { biasWays } from '../model/parts';
import { biasBlock, fewestCuts, type StripBlock, type StripWant } from '../strips/strips';

// The lay of a practised cutter with ruler and chalk: every saving is measured by it.

/** By hand nobody joins a strip from cuts under a foot. */
const SHORTEST = 12 * NM.in;

/** A rectangle that the cutter chalks: its ways (across, along; nm), and where the pattern puts it. */
interface Chalked {
  ways: readonly (readonly [Nm, Nm])[];
  match: LayPiece['match'];
}

/** A row across the cloth: where it begins along it, how high it is, and from where across it is free. */
interface Row {
  y: Nm;
  height: Nm;
  free: Nm;
}

/** How bias is cut: from one block right across the cloth, from the smallest block, or round a tube. */
const BIAS_WAYS = ['across', 'small', 'tube'] as const;
type BiasWay = (typeof BIAS_WAYS)[number];

/**
 * The length (nm) that the job takes laid by hand on an endless cloth, the shortest of what a practised cutter would try: pieces in
 * rows across the full usable width, the deepest first, each in the first row that still has room for it, either way round where it may,
 * its long side across or along; a matched piece where the pattern comes next, strips in full widths or lengths, bias from the
 * shortest block across the cloth, the smallest block, or a tube from a square, and no cut under a foot. (First-fit decreasing height,
 * Coffman, Garey, Johnson and Tarjan 1980, from memory.) Common practice, no
 * source. What does not fit the cloth is left out.
 */
export function handLength(job: LayJob): Nm {
  const ways = job.strips.some(({ grain }) => grain === 'bias') ? BIAS_WAYS : BIAS_WAYS.slice(0, 1);
  const tries = ways.flatMap((way) => {
    const things = chalked(job, way);
    return [false, true].map((isUpright) => rowsEnd(job, things, isUpright));
  });
  return tries.reduce((least, one) => Math.min(least, one));
}

/** All that is cut, copy by copy, as rectangles that fit the cloth. */
function chalked(job: LayJob, bias: BiasWay): Chalked[] {
  const roll = job.stock.at(-1)!;
  const usable = roll.right - roll.left;
  const copies = (qty: number, thing: Chalked) =>
    thing.ways.length > 0 ? Array.from({ length: qty }, () => thing) : [];
  const fitting = (ways: readonly (readonly [Nm, Nm])[]) => ways.filter(([w]) => w <= usable);
  const plain = (w: Nm, h: Nm): Chalked => ({ ways: fitting([[w, h]]), match: null });
  return [
    ...job.pieces.flatMap(({ width, height, turns, match, qty }) => {
      const ways: (readonly [Nm, Nm])[] = [];
      if (turns.some((turn) => turn % 180 === 0)) ways.push([width, height]);
      if (turns.some((turn) => turn % 180 === 90)) ways.push([height, width]);
      return copies(qty, { ways: fitting(ways), match });
    }),
    ...job.strips.flatMap((strip) => {
      if (strip.grain === 'across')
        return acrossCuts(strip, usable).flatMap((length) => copies(strip.qty, plain(length, strip.width)));
      if (strip.grain === 'along') return alongCuts(strip, usable, job.gap).map((length) => plain(strip.width, length));
      return biasBlocks(strip, usable, job.gap, bias).map(({ width, height }) => plain(width, height));
    }),
  ];
}

/** Full widths first, the rest from one more, which is no shorter than a foot. */
function acrossCuts(strip: LayStrip, usable: Nm): Nm[] {
  const count = fewestCuts(wantOf(strip, 1), usable);
  if (count === null) return [];
  const rest = strip.length + (count - 1) * strip.loss - (count - 1) * usable;
  return [
    ...new Array<Nm>(count - 1).fill(usable),
    Math.min(usable, Math.max(rest, strip.least, count > 1 ? SHORTEST : 0)),
  ];
}

/** Even cuts, as many of them side by side as there are, none under a foot. */
function alongCuts(strip: LayStrip, usable: Nm, gap: Nm): Nm[] {
  const abreast = Math.max(1, Math.floor((usable + gap) / (strip.width + gap)));
  const cuts = Math.max(1, Math.min(abreast, Math.floor(strip.length / Math.max(strip.least, SHORTEST))));
  const each = Math.max(strip.least, Math.ceil((strip.length + (cuts - 1) * strip.loss) / cuts));
  return new Array<Nm>(cuts * strip.qty).fill(each);
}

/** The blocks that all copies of a bias strip come from; none when it fits no cloth. */
function biasBlocks(strip: LayStrip, usable: Nm, gap: Nm, way: BiasWay): Pick<StripBlock, 'width' | 'height'>[] {
  const wants = Array.from({ length: strip.qty }, (_, i) => wantOf(strip, i + 1));
  const side = Math.ceil(Math.sqrt(strip.length * strip.width * strip.qty));
  if (way === 'tube' && side <= usable) return [{ width: side, height: side }];
  const byFoot = wants.map((want) => ({ ...want, least: Math.max(want.least, Math.min(SHORTEST, want.length)) }));
  const some = biasWays(byFoot, usable, gap).map(([block]) => block!);
  const across = biasBlock(usable, byFoot, gap);
  const lying = biasBlock(usable, byFoot, gap, true);
  const area = ({ width, height }: StripBlock) => width * height;
  const [best] = [...some, across, lying]
    .filter((block) => block !== null)
    .sort((a, b) => (way === 'small' ? area(a) - area(b) : a.height - b.height));
  return best ? [best] : [];
}

const wantOf = ({ id, width, length, loss, least }: LayStrip, copy: number): StripWant => ({
  strip: id,
  copy,
  width,
  length,
  loss,
  least,
});

/** Where the rows end (nm) when all is laid in them, deepest first, the long sides across the cloth or along it. */
function rowsEnd({ lattice, gap, stock }: LayJob, things: readonly Chalked[], isUpright: boolean): Nm {
  const { left, right } = stock.at(-1)!;
  const phases = new Map<string, readonly [Nm, Nm]>();
  const rows: Row[] = [];
  let end = 0;
  const best = ({ ways }: Chalked) => ways.reduce((one, other) => (other[0] > other[1] !== isUpright ? other : one));
  const sorted = things
    .map((thing) => ({ thing, way: best(thing) }))
    .sort((a, b) => b.way[1] - a.way[1] || b.way[0] - a.way[0]);
  /** Where a thing would lie in a row, or null where that has no room for it. */
  const placeIn = (row: Row, [w, h]: readonly [Nm, Nm], match: LayPiece['match'], isNew: boolean) => {
    const phase = lattice && match ? cornerPhase(match, lattice, row.free, row.y, phases) : null;
    const x = phase ? nextAcross(row.free, phase[0], lattice!) : row.free;
    const y = phase ? nextAlong(x, row.y, phase, lattice!) : row.y;
    if (x + w > right || (!isNew && y + h > row.y + row.height)) return null;
    return { x, y, w, h };
  };
  for (const { thing, way } of sorted) {
    const { ways, match } = thing;
    let found: { row: Row; at: NonNullable<ReturnType<typeof placeIn>> } | null = null;
    for (const row of rows) {
      const at = [way, ...ways].map((one) => placeIn(row, one, match, false)).find((one) => one !== null);
      if (!at) continue;
      found = { row, at };
      break;
    }
    if (!found) {
      const row: Row = { y: end, height: 0, free: left };
      const at = placeIn(row, way, match, true);
      if (!at) continue;
      rows.push(row);
      row.height = at.y + at.h - row.y;
      end = row.y + row.height + gap;
      found = { row, at };
    }
    const { row, at } = found;
    row.free = at.x + at.w + gap;
    if (match?.group && lattice && !phases.has(match.group))
      phases.set(
        match.group,
        phaseOf(at.x + match.anchor[0] - match.offset[0], at.y + match.anchor[1] - match.offset[1], lattice),
      );
  }
  return Math.max(0, end - gap);
}

/** The phase that a matched piece's lower left corner must have; a group's first member lies where it likes. */
function cornerPhase(
  { anchor, offset, group }: NonNullable<LayPiece['match']>,
  lattice: Lattice,
  x: Nm,
  y: Nm,
  phases: ReadonlyMap<string, readonly [Nm, Nm]>,
): [Nm, Nm] {
  const [dx, dy] = [anchor[0] - offset[0], anchor[1] - offset[1]];
  if (group === null) return phaseOf(-dx, -dy, lattice);
  const phase = phases.get(group) ?? phaseOf(x + dx, y + dy, lattice);
  return phaseOf(phase[0] - dx, phase[1] - dy, lattice);
}

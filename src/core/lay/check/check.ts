import type { Box } from '../model/box';
import ClipperLib from 'clipper-lib';
import { toUnits, type Nm, type Units } from '../../length';
import type { LayJob, LayPiece, StockLength } from '../model/job';
import type { LayPlan, PlacedPiece, StripCut } from '../model/plan';
import type { Point } from '../model/outline';

/** One thing that is wrong with a plan. */
export interface PlanFault {
  kind:
    | 'outline'
    | 'straight'
    | 'overlap'
    | 'gap'
    | 'width'
    | 'length'
    | 'flaw'
    | 'turn'
    | 'phase'
    | 'strip'
    | 'copies'
    | 'locked'
    | 'used'
    | 'bound'
    | 'stock';
  what: string;
}

/** Lengths are compared with this tolerance: 1e-4 in, or 2.54e-3 mm, as the format says. */
export const TOLERANCE: Record<Units, Nm> = { in: 2540, mm: 2540 };

interface Item {
  label: string;
  ring: Point[];
  box: Box;
}

/**
 * Checks a plan against its job by the rules of the format, from its corners alone: it shares no geometry with the
 * engine that made it. Returns every fault found; none means that the plan may be cut.
 */
export function findFaults(job: LayJob, plan: LayPlan): PlanFault[] {
  const faults: PlanFault[] = [];
  const fault: Say = (kind, what) => faults.push({ kind, what });
  const counts = checkLengths(job, plan, fault);
  checkLocked(job, plan, fault);
  checkCopies(job, plan, counts, fault);
  checkSums(job, plan, fault);
  return faults;
}

/** How often each copy is there, and the total length of each copy of a strip that its cuts join to. */
interface Counts {
  copies: Map<string, number>;
  strips: Map<string, { total: number; loss: Nm; length: Nm }>;
}

const lengthText = ({ units }: LayJob, length: Nm) => `${Number(toUnits(length, units).toFixed(4))} ${units}`;

/** Checks each length of cloth: its items, their phases, cuts and used length. */
function checkLengths(job: LayJob, plan: LayPlan, fault: Say): Counts {
  const tolerance = TOLERANCE[job.units];
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  const counts: Counts = { copies: new Map(), strips: new Map() };
  const phases = new Map<string, { point: Point; label: string }>();
  let lastStock = -1;
  for (const lay of plan.lays) {
    const index = job.stock.findIndex(({ id }) => id === lay.stock);
    if (index <= lastStock) fault('stock', `${lay.stock} is not in the job, or out of its order`);
    lastStock = Math.max(index, lastStock);
    const stock = job.stock[index];
    if (!stock) continue;
    const items: Item[] = [];
    for (const one of lay.placed) {
      const piece = pieces.get(one.piece);
      if (!piece) {
        fault('copies', `${one.piece} is not a piece of the job`);
        continue;
      }
      const item = pieceItem(piece, one, fault);
      items.push(item);
      counts.copies.set(item.label, (counts.copies.get(item.label) ?? 0) + 1);
      checkPhase(job.lattice, stock, piece, one, phases, tolerance, fault);
    }
    for (const cut of lay.cuts) {
      const strip = job.strips.find(({ id }) => id === cut.strip);
      if (!strip) {
        fault('strip', `${cut.strip} is not a strip of the job`);
        continue;
      }
      checkCut(cut, strip, tolerance, fault);
      items.push(toItem(`${cut.strip} ${cut.copy}`, cut.outline));
      const key = `strip ${cut.strip} ${cut.copy}`;
      const sum = counts.strips.get(key) ?? { total: strip.loss, loss: strip.loss, length: strip.length };
      sum.total += cut.length - strip.loss;
      counts.strips.set(key, sum);
    }
    checkItems(job, stock, items, tolerance, fault);
    const furthest = items.reduce((far, { box }) => Math.max(far, box[3]), 0);
    if (Math.abs(furthest - lay.used) > tolerance) {
      const [used, end] = [lay.used, furthest].map((length) => lengthText(job, length));
      fault('used', `${lay.stock}: ${used} is given, the furthest point is ${end}`);
    }
  }
  return counts;
}

/** Checks that locked pieces and cuts lie where they are locked. */
function checkLocked(job: LayJob, plan: LayPlan, fault: Say) {
  for (const { stock, piece, copy, x, y, turn } of job.locked) {
    const placed = plan.lays.find((lay) => lay.stock === stock)?.placed ?? [];
    const there = placed.some(
      (one) => one.piece === piece && one.copy === copy && one.x === x && one.y === y && one.turn === turn,
    );
    if (!there) fault('locked', `${piece} ${copy} is not where it is locked`);
  }
  for (const { stock, strip, copy, outline } of job.lockedCuts) {
    const cuts = plan.lays.find((lay) => lay.stock === stock)?.cuts ?? [];
    const there = cuts.some(
      (one) =>
        one.strip === strip &&
        one.copy === copy &&
        one.outline.every(([x, y], i) => x === outline[i]![0] && y === outline[i]![1]),
    );
    if (!there) fault('locked', `a cut of ${strip} ${copy} is not where it is locked`);
  }
}

/** Checks that every copy is there once, laid or unplaced with a reason, and that the cuts of a strip join to its length. */
function checkCopies(job: LayJob, plan: LayPlan, { copies, strips }: Counts, fault: Say) {
  const tolerance = TOLERANCE[job.units];
  for (const [key, { total, length }] of strips) {
    if (total < length - tolerance)
      fault('strip', `${key} joins to ${lengthText(job, total)}, not ${lengthText(job, length)}`);
    copies.set(key, (copies.get(key) ?? 0) + 1);
  }
  for (const one of plan.unplaced) {
    const key = 'piece' in one ? `${one.piece} ${one.copy}` : `strip ${one.strip} ${one.copy}`;
    copies.set(key, (copies.get(key) ?? 0) + 1);
    if (!one.why) fault('copies', `${key} is unplaced without a reason`);
  }
  const wanted = [
    ...job.pieces.flatMap(({ id, qty }) => copiesOf(id, qty)),
    ...job.strips.flatMap(({ id, qty }) => copiesOf(`strip ${id}`, qty)),
  ];
  for (const key of wanted) {
    if (copies.get(key) !== 1) fault('copies', `${key} is there ${copies.get(key) ?? 0} times`);
    copies.delete(key);
  }
  for (const key of copies.keys()) fault('copies', `${key} was not asked for`);
}

/** Checks the plan's used length and its bound. */
function checkSums(job: LayJob, plan: LayPlan, fault: Say) {
  const tolerance = TOLERANCE[job.units];
  const sum = plan.lays.reduce((total, { used }) => total + used, 0);
  const [laid, used, bound] = [sum, plan.used, plan.bound].map((length) => lengthText(job, length));
  if (Math.abs(sum - plan.used) > tolerance) fault('used', `the lays sum to ${laid}, not ${used}`);
  if (!(plan.bound <= plan.used + tolerance) || !(plan.bound >= 0))
    fault('bound', `the bound of ${bound} is not within the used ${used}`);
}

type Say = (kind: PlanFault['kind'], what: string) => void;

const copiesOf = (id: string, qty: number) => Array.from({ length: qty }, (_, i) => `${id} ${i + 1}`);

function toItem(label: string, corners: readonly Point[]): Item {
  const ring = signedArea(corners) < 0 ? [...corners].reverse() : [...corners];
  const xs = ring.map(([x]) => x);
  const ys = ring.map(([, y]) => y);
  return { label, ring, box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)] };
}

function pieceItem(one: LayPiece, { piece, copy, x, y, turn }: PlacedPiece, fault: Say): Item {
  if (!one.turns.includes(turn)) fault('turn', `${piece} ${copy} may not lie at turn ${turn}`);
  const { width: w, height: h } = one;
  const corners: Point[] = one.outline ?? [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  const turned = corners.map(([cx, cy]): Point => {
    if (turn === 90) return [h - cy, cx];
    if (turn === 180) return [w - cx, h - cy];
    if (turn === 270) return [cy, w - cx];
    return [cx, cy];
  });
  return toItem(
    `${piece} ${copy}`,
    turned.map(([cx, cy]): Point => [x + cx, y + cy]),
  );
}

function checkItems(job: LayJob, stock: StockLength, items: Item[], tolerance: Nm, fault: Say) {
  for (const { label, ring, box } of items) {
    if (box[0] < stock.left - tolerance || box[2] > stock.right + tolerance)
      fault('width', `${label} leaves the usable width of ${stock.id}`);
    if (box[1] < -tolerance || box[3] > stock.length + tolerance)
      fault('length', `${label} leaves the length of ${stock.id}`);
    for (const [x0, y0, x1, y1] of stock.flaws) {
      const flaw: Point[] = [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ];
      if (doOverlap(ring, flaw, tolerance)) fault('flaw', `${label} lies on a flaw of ${stock.id}`);
    }
  }
  if (stock.outline) {
    for (const { label, ring } of items) {
      if (clippedArea(ring, stock.outline, ClipperLib.ClipType.ctDifference) > tolerance * girth(ring))
        fault('outline', `${label} leaves the outline of ${stock.id}`);
    }
  }
  if (job.straight) checkStraight(items, tolerance, fault);
  const sorted = [...items].sort((a, b) => a.box[1] - b.box[1]);
  sorted.forEach((one, i) => {
    for (let j = i + 1; j < sorted.length; j++) {
      const other = sorted[j]!;
      if (other.box[1] >= one.box[3] + job.gap) break;
      if (other.box[0] >= one.box[2] + job.gap || one.box[0] >= other.box[2] + job.gap) continue;
      if (doOverlap(one.ring, other.ring, tolerance)) fault('overlap', `${one.label} and ${other.label} overlap`);
      else if (job.gap > 0 && distance(one.ring, other.ring) < job.gap - tolerance)
        fault('gap', `${one.label} and ${other.label} are too close`);
    }
  });
}

const signedArea = (ring: readonly Point[]): number =>
  ring.reduce((sum, [x, y], i) => sum + x * ring[(i + 1) % ring.length]![1] - ring[(i + 1) % ring.length]![0] * y, 0) /
  2;

/** A length to compare areas by: a tolerance deep along half of the ring's box. */
function girth(ring: readonly Point[]): number {
  const { box } = toItem('', ring);
  return (box[2] - box[0] + box[3] - box[1]) / 2;
}

const isConvex = (ring: readonly Point[]): boolean =>
  ring.every(([bx, by], i) => {
    const [ax, ay] = ring[(i + ring.length - 1) % ring.length]!;
    const [cx, cy] = ring[(i + 1) % ring.length]!;
    return (bx - ax) * (cy - by) - (by - ay) * (cx - bx) >= 0;
  });

/** Tells whether two rings lie in each other by more than the tolerance: by separating axes where both are convex. */
function doOverlap(a: Point[], b: Point[], tolerance: Nm): boolean {
  if (isConvex(a) && isConvex(b)) return !areApart(a, b, tolerance);
  return clippedArea(a, b, ClipperLib.ClipType.ctIntersection) > tolerance * Math.min(girth(a), girth(b));
}

/** Coordinates up to that are clipped without long numbers, in steps (nm) of at most so much. */
const CLIPPED_QUICKLY = 4e7;
const COARSEST = 200;

/** The area of what a polygon clipping of two rings leaves (nm²); the clipping is clipper-lib's. */
function clippedArea(subject: readonly Point[], clip: readonly Point[], type: number): number {
  // In coarser steps near its origin, far below the tolerance, the clipping does without long numbers.
  const { box } = toItem('', subject);
  const [left, low] = [Math.min(box[0], clip[0]![0]), Math.min(box[1], clip[0]![1])];
  const far = [...subject, ...clip].reduce((most, [x, y]) => Math.max(most, Math.abs(x - left), Math.abs(y - low)), 1);
  const step = Math.max(1, Math.min(COARSEST, Math.ceil(far / CLIPPED_QUICKLY)));
  const path = (ring: readonly Point[]) =>
    ring.map(([x, y]) => ({ X: Math.round((x - left) / step), Y: Math.round((y - low) / step) }));
  const clipper = new ClipperLib.Clipper();
  clipper.AddPath(path(subject), ClipperLib.PolyType.ptSubject, true);
  clipper.AddPath(path(clip), ClipperLib.PolyType.ptClip, true);
  const solution: { X: number; Y: number }[][] = [];
  clipper.Execute(type, solution);
  return Math.abs(solution.reduce((sum, one) => sum + ClipperLib.Clipper.Area(one), 0)) * step ** 2;
}

/** Takes the lay apart by straight cuts along the edges' directions; a group that none divides is a fault. */
function checkStraight(items: Item[], tolerance: Nm, fault: Say) {
  const groups = [items];
  while (groups.length > 0) {
    const group = groups.pop()!;
    if (group.length < 2) continue;
    const parts = firstDivision(group, tolerance);
    if (parts) groups.push(...parts);
    else
      fault(
        'straight',
        `no straight cut divides ${group
          .slice(0, 4)
          .map(({ label }) => label)
          .join(', ')}`,
      );
  }
}

function firstDivision(group: Item[], tolerance: Nm): Item[][] | null {
  const tried = new Set<number>();
  for (const { ring } of group) {
    for (let i = 0; i < ring.length; i++) {
      const [x0, y0] = ring[i]!;
      const [x1, y1] = ring[(i + 1) % ring.length]!;
      const angle = (Math.atan2(y1 - y0, x1 - x0) + Math.PI) % Math.PI;
      const key = Math.round((angle / Math.PI) * 1e7) % 1e7;
      if (tried.has(key)) continue;
      tried.add(key);
      const [nx, ny] = [-Math.sin(angle), Math.cos(angle)];
      const spans = group
        .map((item) => {
          const depths = item.ring.map(([x, y]) => x * nx + y * ny);
          return { item, from: Math.min(...depths), to: Math.max(...depths) };
        })
        .sort((a, b) => a.from - b.from);
      const parts: Item[][] = [[]];
      let reach = spans[0]!.from;
      for (const { item, from, to } of spans) {
        if (parts.at(-1)!.length > 0 && from >= reach - tolerance) parts.push([]);
        parts.at(-1)!.push(item);
        reach = Math.max(reach, to);
      }
      if (parts.length > 1) return parts;
    }
  }
  return null;
}

/** Tells whether two convex rings lie in each other by no more than the tolerance: all of one beyond some edge of the other (separating axes). */
function areApart(a: Point[], b: Point[], tolerance: Nm): boolean {
  const liesBeyondAnEdge = (one: Point[], other: Point[]) =>
    other.some(([x0, y0], i) => {
      const [x1, y1] = other[(i + 1) % other.length]!;
      const [nx, ny] = [y1 - y0, x0 - x1];
      const least = -tolerance * Math.hypot(nx, ny);
      // An edge between two corners at one place divides nothing.
      return (nx !== 0 || ny !== 0) && one.every(([x, y]) => (x - x0) * nx + (y - y0) * ny >= least);
    });
  return liesBeyondAnEdge(a, b) || liesBeyondAnEdge(b, a);
}

/** The distance of two convex rings that do not overlap: the nearest corner to an edge. */
function distance(a: Point[], b: Point[]): number {
  let nearest = Infinity;
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const) {
    for (const [px, py] of one) {
      other.forEach(([x0, y0], i) => {
        const [x1, y1] = other[(i + 1) % other.length]!;
        const [dx, dy] = [x1 - x0, y1 - y0];
        const t = Math.max(0, Math.min(1, ((px - x0) * dx + (py - y0) * dy) / (dx * dx + dy * dy)));
        nearest = Math.min(nearest, Math.hypot(px - x0 - t * dx, py - y0 - t * dy));
      });
    }
  }
  return nearest;
}

function checkPhase(
  lattice: LayJob['lattice'],
  stock: StockLength,
  { match }: LayPiece,
  { piece, copy, x, y }: PlacedPiece,
  phases: Map<string, { point: Point; label: string }>,
  tolerance: Nm,
  fault: Say,
) {
  if (!match || !lattice) return;
  const label = `${piece} ${copy}`;
  const point: Point = [
    x + match.anchor[0] - match.offset[0] - stock.motif[0],
    y + match.anchor[1] - match.offset[1] - stock.motif[1],
  ];
  const first =
    match.group === null
      ? { point: [0, 0] as Point, label: 'the pattern' }
      : (phases.get(match.group) ?? { point, label });
  if (match.group !== null) phases.set(match.group, first);
  const dx = point[0] - first.point[0];
  const dy = point[1] - first.point[1];
  const columns = lattice.across > 0 ? Math.round(dx / lattice.across) : 0;
  const restX = lattice.across > 0 ? dx - columns * lattice.across : 0;
  const dropped = dy - columns * lattice.shift;
  const restY = lattice.along > 0 ? dropped - Math.round(dropped / lattice.along) * lattice.along : 0;
  if (Math.abs(restX) > tolerance || Math.abs(restY) > tolerance)
    fault('phase', `${piece} ${copy} is off the phase of ${first.label}`);
}

const DIRECTIONS = { across: [0], along: [90], bias: [45, 135] } as const;

function checkCut(cut: StripCut, strip: LayJob['strips'][number], tolerance: Nm, fault: Say) {
  const [a, b, c, d] = cut.outline;
  const label = `${cut.strip} ${cut.copy}`;
  if (Math.abs(a[0] - b[0] + c[0] - d[0]) > 2 * tolerance || Math.abs(a[1] - b[1] + c[1] - d[1]) > 2 * tolerance) {
    fault('strip', `${label}: a cut is not a parallelogram`);
    return;
  }
  const fits = ([from, to, beside]: [Point, Point, Point]) => {
    const [ex, ey] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(ex, ey);
    const width = Math.abs(ex * (beside[1] - from[1]) - ey * (beside[0] - from[0])) / long;
    const off = Math.min(
      ...DIRECTIONS[strip.grain].map((angle) =>
        Math.abs(ey * Math.cos((angle * Math.PI) / 180) - ex * Math.sin((angle * Math.PI) / 180)),
      ),
    );
    return off <= tolerance && Math.abs(width - strip.width) <= tolerance && Math.abs(long - cut.length) <= tolerance;
  };
  if (!fits([a, b, d]) && !fits([b, c, a]))
    fault('strip', `${label}: a cut has not the strip’s grain, width or length`);
  if (cut.length < strip.least - tolerance) fault('strip', `${label}: a cut is shorter than the least`);
}

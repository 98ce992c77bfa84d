import fc from 'fast-check';
import { barBound, lowerBound, type Placed } from './bounds/bounds';
import { nest, readJob, type LayJob, type LayPlan } from './index';

// Shared by the tests of the lay engine: jobs from a few words, lays by steps, random jobs.

/** A job in inches on a plain 54 in cloth, with what is given in place. */
export const jobOf = (rest: object): LayJob => {
  const job = readJob({
    format: 'jolly-bolt/lay-job',
    version: 1,
    units: 'in',
    cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'half' },
    ...rest,
  });
  if (!job.ok) throw new Error(job.faults[0]!.message);
  return job.value;
};
/** All copies of a job. */
export const allOf = (job: LayJob): Placed => ({
  pieces: new Map(job.pieces.map(({ id, qty }) => [id, qty])),
  strips: new Map(job.strips.map(({ id, qty }) => [id, qty])),
});
/** Proven length of a lay of all copies (nm): a plan tells of it only up to its own length, so a bound too high would not show there. */
export const provenBound = (job: LayJob) => Math.max(lowerBound(job, allOf(job)), barBound(job, allOf(job)));
/** A lay by so many passes: the same on every machine. */
export const lay = (job: LayJob, steps = 60): LayPlan => {
  const plan = nest(job, { steps });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  // The engine goes back to an older lay rather than give a faulty one; here that is a fault.
  if (plan.value.refused > 0) throw new Error(`The check refused ${plan.value.refused} lays of the engine.`);
  return plan.value;
};
const size = fc.integer({ min: 8, max: 200 }).map((eighths) => eighths / 8);
const pieceArb = fc.record({
  size: fc.tuple(size, size),
  qty: fc.integer({ min: 1, max: 4 }),
  match: fc.constantFrom('none', 'at', 'group'),
});
/** Random jobs of every sort: gaps, patterns, straight cutting, strips, remnants with flaws. */
export const jobArb = fc
  .record({
    pieces: fc.array(pieceArb, { minLength: 1, maxLength: 8 }),
    turns: fc.constantFrom('any', 'half', 'none'),
    gap: fc.constantFrom(0, 0.25),
    cut: fc.constantFrom('free', 'straight'),
    repeat: fc.constantFrom(
      undefined,
      { across: 9, along: 7, drop: 0.5 },
      { across: 6, along: 0, drop: 0 },
      { across: 0, along: 11, drop: 0 },
      { across: 13.5, along: 12.5, drop: 0 },
    ),
    strips: fc.array(
      fc.record({
        width: fc.constantFrom(1, 1.5, 2.25),
        length: fc.integer({ min: 10, max: 300 }),
        grain: fc.constantFrom('bias', 'across', 'along'),
        loss: fc.constantFrom(0, 1.5),
        least: fc.constantFrom(0, 12),
      }),
      { maxLength: 2 },
    ),
    stock: fc.constantFrom(undefined, [
      { id: 'rem', length: 40, width: 31, motif: [2, 3], flaws: [[5, 5, 3, 2]] },
      { id: 'bolt' },
    ]),
  })
  .map(({ pieces, turns, gap, cut, repeat, strips, stock }) => ({
    cut,
    cloth: { name: 'random', width: 45, selvage: [0.5, 0.5], turns, repeat },
    gap,
    stock,
    pieces: pieces.map(({ size: [w, h], qty, match }, i) => ({
      id: `p${i}`,
      size: [w, h],
      qty,
      ...(match === 'at' && { match: { at: [1, 2] } }),
      ...(match === 'group' && { match: { group: 'g', delta: [i, 0] } }),
    })),
    strips: strips.map((strip, i) => ({ id: `s${i}`, ...strip })),
  }));

/** From left and below to right and above. */
export type Rect = readonly [number, number, number, number];

/** Tells whether cuts from edge to edge free all boxes: tried one by one, no cleverness. */
export function comesApart(boxes: readonly Rect[]): boolean {
  if (boxes.length <= 1) return true;
  for (const axis of [0, 1] as const) {
    for (const cut of boxes.map((box) => box[axis])) {
      const below = boxes.filter((box) => box[axis + 2]! <= cut);
      const above = boxes.filter((box) => box[axis] >= cut);
      if (below.length > 0 && above.length > 0 && below.length + above.length === boxes.length)
        return comesApart(below) && comesApart(above);
    }
  }
  return false;
}

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { phaseOf, wrap } from '../../../cloth';
import { NM } from '../../../length';
import { canFillExactly } from '../zero-waste-beam/zero-waste-beam';
import type { LayJob } from '../../model/job';
import { pieceParts } from '../../model/parts';
import { phaseAt, type Phase } from '../../search/phase-tracker';
import { Random } from '../../search/random';
import { jobOf, lay } from '../../testing';
import { PhaseWaitingBeam, type Ranking, type WaitingLay } from './phase-waiting-beam';

const PLAIN: Ranking = { width: 100, pays: 2, matched: 0.6, rough: 0.01, squeaks: new Map() };

const run = (job: LayJob, target: number, ranking: Partial<Ranking> = {}, phases = new Map<string, Phase>()) => {
  const beam = new PhaseWaitingBeam(job, pieceParts(job), job.stock.length - 1, phases, new Random(1));
  const goes = beam.run(Math.round(target * NM.in), { ...PLAIN, ...ranking });
  let next = goes.next();
  let looked = 0;
  for (; !next.done; next = goes.next()) looked += next.value;
  return { lay: next.value, looked };
};

/** A column of covers as wide as the cloth, each sort a match group of its own. */
const column = (sorts: readonly (readonly [height: number, qty: number])[], along = 12.5) =>
  jobOf({
    cloth: { name: 't', width: 20, turns: 'none', repeat: { across: 0, along, drop: 0 } },
    pieces: sorts.map(([height, qty], i) => ({ id: `p${i}`, size: [20, height], qty, match: { group: `g${i}` } })),
  });

/** The least length (in) of such a column over all orders, each piece as low as its phase allows: tried one by one. */
function shortestColumn(sorts: readonly (readonly [height: number, qty: number])[], along: number): number {
  let best = Infinity;
  const go = (left: readonly number[], phases: readonly (number | null)[], top: number) => {
    if (top >= best) return;
    if (left.every((n) => n === 0)) best = top;
    left.forEach((n, i) => {
      if (n === 0) return;
      const phase = phases[i] ?? top % along;
      const start = top + wrap(phase - top, along);
      go(left.with(i, n - 1), phases.with(i, phase), start + sorts[i]![0]);
    });
  };
  go(
    sorts.map(([, qty]) => qty),
    sorts.map(() => null),
    0,
  );
  return best;
}

/** Faults of a lay by plain geometry: outside the cloth, on a flaw, in each other, off the phase. */
function faultsOf(job: LayJob, found: WaitingLay, known: ReadonlyMap<string, Phase> = new Map()): string[] {
  const { gap, lattice } = job;
  const { left, right, motif, flaws } = job.stock.at(-1)!;
  const phases = new Map(known);
  const faults: string[] = [];
  const boxes: [number, number, number, number][] = [];
  pieceParts(job).forEach(({ width, height, match, piece }, i) => {
    if (found.stock[i]! < 0) return;
    const [w, h] = found.turned[i] === 1 ? [height, width] : [width, height];
    const [x, y] = [found.x[i]!, found.y[i]!];
    if (x < left || x + w > right || y < 0) faults.push(`${piece!.id} outside`);
    if (flaws.some(([x0, y0, x1, y1]) => x0 < x + w && x1 > x && y0 < y + h && y1 > y))
      faults.push(`${piece!.id} flaw`);
    if (
      boxes.some(([bx, by, bw, bh]) => bx < x + w + gap && x < bx + bw + gap && by < y + h + gap && y < by + bh + gap)
    )
      faults.push(`${piece!.id} in another`);
    boxes.push([x, y, w, h]);
    if (!match || !lattice) return;
    const phase = phaseAt(match, motif, x, y, lattice);
    const wanted = match.group === null ? phaseOf(0, 0, lattice) : phases.get(match.group);
    if (match.group !== null && !wanted) phases.set(match.group, phase);
    if (wanted && (Math.abs(wanted[0] - phase[0]) > 1 || Math.abs(wanted[1] - phase[1]) > 1))
      faults.push(`${piece!.id} phase`);
  });
  return faults;
}

describe('beams where pieces wait for their phase', () => {
  test('fronts of 22.5 in and backs of 14.5 in go by turns: each pair takes three repeats, all but half an inch', () => {
    // Two of each. The fronts first would wait 2.5 in for the second front and 10.5 in for the second back.
    const job = column([
      [22.5, 2],
      [14.5, 2],
    ]);
    const { lay: found } = run(job, 100);
    expect(found!.placed).toBe(4);
    expect(found!.reached / NM.in).toBe(74.5);
    expect(run(job, 74.4).lay!.placed).toBeLessThan(4);
  });

  test('in one column it is as short as the best of all orders', () => {
    const sort = fc.tuple(
      fc.integer({ min: 4, max: 100 }).map((q) => q / 4),
      fc.integer({ min: 1, max: 3 }),
    );
    fc.assert(
      fc.property(fc.array(sort, { minLength: 1, maxLength: 3 }), fc.constantFrom(7, 11, 12.5), (sorts, along) => {
        const wanted = shortestColumn(sorts, along);
        const { lay: found } = run(column(sorts, along), wanted + 60, { width: 2_000 });
        expect(found!.placed).toBe(sorts.reduce((sum, [, qty]) => sum + qty, 0));
        expect(found!.reached / NM.in).toBeCloseTo(wanted, 6);
      }),
      { numRuns: tries(60) },
    );
  });

  test('what it lays is on the cloth, apart, off flaws and on phase, and ends at what it says', () => {
    const piece = fc.record({
      size: fc.tuple(fc.integer({ min: 12, max: 100 }), fc.integer({ min: 12, max: 100 })),
      qty: fc.integer({ min: 1, max: 4 }),
      match: fc.constantFrom(undefined, { at: [1, 2] }, { group: 'a' }, { group: 'b', delta: [2, 3] }),
    });
    const repeat = fc.constantFrom(
      undefined,
      { across: 9, along: 7, drop: 0.5 },
      { across: 6, along: 0, drop: 0 },
      { across: 0, along: 11, drop: 0 },
      { across: 13.5, along: 12.5, drop: 0 },
    );
    let whole = 0;
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 7 }),
        repeat,
        fc.constantFrom(0, 0.25),
        fc.constantFrom('any', 'none'),
        (pieces, by, gap, turns) => {
          const job = jobOf({
            gap,
            cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns, repeat: by },
            stock: [
              {
                id: 'bolt',
                motif: [3, 5],
                flaws: [
                  [20, 10, 2, 1],
                  [4, 40, 3, 3],
                ],
              },
            ],
            pieces: pieces.map(({ size: [w, h], qty, match }, i) => ({
              id: `p${i}`,
              size: [w / 4, h / 4],
              qty,
              ...(by && match && { match }),
            })),
          });
          const phases = new Map<string, Phase>(by ? [['a', phaseOf(NM.in, 2 * NM.in, job.lattice!)]] : []);
          const target = 200;
          const { lay: found } = run(job, target, { width: 10 }, phases);
          fc.pre(found !== null);
          expect(faultsOf(job, found!, phases)).toEqual([]);
          const tops = pieceParts(job).map(({ width, height }, i) =>
            found!.stock[i]! < 0 ? 0 : found!.y[i]! + (found!.turned[i] ? width : height),
          );
          if (found!.placed < tops.length) return;
          whole++;
          expect(Math.max(...tops)).toBe(found!.reached);
          expect(found!.reached).toBeLessThanOrEqual(target * NM.in);
        },
      ),
      { numRuns: tries(150) },
    );
    expect(whole).toBeGreaterThan(60);
  });

  test('a group keeps the phase that its pieces on another length have', () => {
    const job = column([[10, 2]]);
    const phase = phaseAt(pieceParts(job)[0]!.match!, job.stock[0]!.motif, 0, 4 * NM.in, job.lattice!);
    const { lay: found } = run(job, 60, {}, new Map([['g0', phase]]));
    // At 4 and 16.5 in, where it would lie at 0 and 12.5 of its own choice.
    expect([...found!.y].map((y) => y / NM.in).sort((a, b) => a - b)).toEqual([4, 16.5]);
  });

  test('a target that the area alone is too much for gives nothing, and no work', () => {
    expect(run(column([[10, 2]]), 19)).toEqual({ lay: null, looked: 0 });
  });

  test('a piece that counts for more is laid rather than another that fits as well', () => {
    // Only one of the two fits below the target.
    const job = column([
      [20, 1],
      [21, 1],
    ]);
    const laidFirst = (id: string) => {
      const found = run(job, 45, { width: 1, squeaks: new Map([[id, 2]]) }).lay!;
      return found.y[0]! < found.y[1]! ? 'p0' : 'p1';
    };
    expect([laidFirst('p0'), laidFirst('p1')]).toEqual(['p0', 'p1']);
  });
});

test('a piece as thin as a hair is laid like any other, and takes no more memory', () => {
  const job = jobOf({
    cloth: { name: 't', width: 54, turns: 'none', repeat: { across: 9, along: 7, drop: 0.5 } },
    pieces: [
      { id: 'hair', size: [0.000001, 10], qty: 1 },
      { id: 'front', size: [20, 18], qty: 4, match: { group: 'front' } },
    ],
  });
  const { lay: found } = run(job, 100);
  expect(found!.placed).toBe(5);
  expect(faultsOf(job, found!)).toEqual([]);
});

describe('in whole lays', () => {
  test('a column of four sorts is as short as the best of all orders', () => {
    const sorts = [
      [23, 2],
      [14.5, 2],
      [18.5, 1],
      [6, 2],
    ] as const;
    expect(lay(column(sorts), 4_000).used / NM.in).toBeCloseTo(shortestColumn(sorts, 12.5), 6);
  });

  test('matched pieces on remnants and a bolt: the same seed gives the same lay, all pieces in it', () => {
    const job = jobOf({
      cloth: {
        name: 't',
        width: 54,
        selvage: [0.5, 0.5],
        turns: 'none',
        repeat: { across: 13.5, along: 12.5, drop: 0 },
      },
      stock: [
        { id: 'rem', length: 30, motif: [2, 3] },
        { id: 'bolt', motif: [5, 4] },
      ],
      pieces: [
        { id: 'front', size: [22, 21], qty: 4, match: { group: 'front' } },
        { id: 'back', size: [22, 14], qty: 4, match: { group: 'back' } },
        { id: 'face', size: [15.5, 17], qty: 5, match: { at: [0, 0] } },
        { id: 'under', size: [15.5, 17], qty: 5 },
      ],
      strips: [{ id: 'ties', width: 2, length: 120, grain: 'along', loss: 0, least: 20, qty: 1 }],
    });
    const [one, other] = [lay(job, 1_500), lay(job, 1_500)];
    expect(one.unplaced).toEqual([]);
    expect(one.lays).toEqual(other.lays);
  });
});

describe('what can be filled exactly', () => {
  const fills = (pieces: object[], inches: number) => {
    const job = jobOf({ cloth: { name: 't', width: 40, turns: 'none' }, pieces });
    return canFillExactly(job, pieceParts(job), inches * NM.in);
  };

  test('area alone does not do it: the sides must add up to the length', () => {
    // Ten squares fill two rows of five. Eleven have the area of 17.6 in, which is no sum of their sides.
    expect(fills([{ id: 'a', size: [8, 8], qty: 10 }], 16)).toBe(true);
    expect(fills([{ id: 'a', size: [8, 8], qty: 11 }], 17.6)).toBe(false);
    expect(fills([{ id: 'a', size: [8, 8], qty: 11 }], 24)).toBe(false);
  });
});

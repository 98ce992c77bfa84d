import highs from 'highs';
import { describe, expect, test } from 'vitest';
import { NM } from '../length';
import { nest, readJob } from './index';
import { barRelaxation } from './bounds/bar-relaxation';
import { Random } from './search/random';
import { cutLengths, fewestCuts } from './strips/strips';
import { provenBound } from './testing';

// Exact optima from a mixed-integer solver (HiGHS, open source): a reference of its own, sharing no code with the engine.

const solver = await highs();

/** The least length of a strip packing without turning, as a mixed-integer program: each pair lies side by side or one below. */
function leastLength(width: number, sizes: [number, number][]): number {
  const n = sizes.length;
  const most = sizes.reduce((sum, [, h]) => sum + h, 0);
  const rows: string[] = [];
  const binaries: string[] = [];
  for (let i = 0; i < n; i++) {
    rows.push(`y${i} - L <= ${-sizes[i]![1]}`);
    for (let j = 0; j < n; j++) {
      if (i === j) continue;
      binaries.push(`l${i}_${j}`, `b${i}_${j}`);
      rows.push(`x${i} - x${j} + ${width} l${i}_${j} <= ${width - sizes[i]![0]}`);
      rows.push(`y${i} - y${j} + ${most} b${i}_${j} <= ${most - sizes[i]![1]}`);
      if (i < j) rows.push(`l${i}_${j} + l${j}_${i} + b${i}_${j} + b${j}_${i} >= 1`);
    }
  }
  const bounds = sizes.map(([w], i) => `0 <= x${i} <= ${width - w}\n0 <= y${i} <= ${most}`);
  const program = `Minimize\n obj: L\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBounds\n${bounds.join('\n')}\nBinary\n ${binaries.join(' ')}\nEnd`;
  const solution = solver.solve(program);
  expect(solution.Status).toBe('Optimal');
  return Math.round(solution.ObjectiveValue);
}

describe('the shortest lays of a few pieces', () => {
  test.each([2, 5, 6])('are those of the solver, seed %d', (seed) => {
    const random = new Random(seed);
    const sizes = Array.from({ length: 6 }, (): [number, number] => [5 + random.below(16), 4 + random.below(14)]);
    const job = readJob({
      format: 'jolly-bolt/lay-job',
      version: 1,
      units: 'in',
      cloth: { name: 't', width: 30, turns: 'none' },
      pieces: sizes.map((size, i) => ({ id: `p${i}`, size, qty: 1 })),
    });
    if (!job.ok) throw new Error(job.faults[0]!.message);
    const plan = nest(job.value, { steps: 1_000 });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    const least = leastLength(30, sizes);
    expect(plan.value.used / NM.in).toBe(least);
    // A bound that lies above the optimum would not be one.
    expect(provenBound(job.value) / NM.in).toBeLessThanOrEqual(least);
  });
});

describe('the cuts of a strip', () => {
  test.each([1, 2, 3, 4, 5, 6])('have the fewest joins that the solver finds, seed %d', (seed) => {
    const random = new Random(100 + seed);
    const [length, most, loss] = [60 + random.below(400), 20 + random.below(40), random.below(4)];
    const want = { strip: 's', copy: 1, width: 2, length, loss, least: 0 };
    // At most 60 cuts of 0 to `most`, each there or not: they must join to the length, each join losing `loss`.
    const cuts = Array.from({ length: 60 }, (_, i) => i);
    const program = `Minimize\n obj: ${cuts.map((i) => `u${i}`).join(' + ')}\nSubject To\n j: ${cuts
      .map((i) => `c${i} - ${loss} u${i}`)
      .join(' + ')
      .replaceAll(
        '+ -',
        '-',
      )} >= ${length - loss}\n${cuts.map((i) => ` m${i}: c${i} - ${most} u${i} <= 0`).join('\n')}\nBinary\n ${cuts.map((i) => `u${i}`).join(' ')}\nEnd`;
    const solution = solver.solve(program);
    expect(solution.Status).toBe('Optimal');
    const fewest = Math.round(solution.ObjectiveValue);
    expect(fewestCuts(want, most)).toBe(fewest);
    const lengths = cutLengths(want, fewest, most, false)!;
    expect(lengths.reduce((sum, one) => sum + one, 0) - (fewest - 1) * loss).toBeGreaterThanOrEqual(length);
    expect(Math.max(...lengths)).toBeLessThanOrEqual(most);
  });
});

describe('the bound by lines across the cloth', () => {
  interface Thing {
    side: number;
    cover: number;
    qty: number;
    starts: { first: number; period: number; drifts?: boolean } | null;
  }

  /** Every way of putting things side by side where they may start, as how many of each: found unit by unit along the line. */
  function patterns(things: readonly Thing[], room: number): number[][] {
    const reached = Array.from({ length: room + 1 }, () => new Map<string, number[]>());
    const reach = (at: number, counts: number[]) => reached[at]!.set(counts.join(), counts);
    reach(
      0,
      things.map(() => 0),
    );
    for (let at = 0; at < room; at++)
      for (const counts of reached[at]!.values()) {
        reach(at + 1, counts);
        things.forEach(({ side, starts }, t) => {
          const isStart = !starts || (at >= starts.first && (at - starts.first) % starts.period === 0);
          if (isStart && at + side <= room)
            reach(
              at + side,
              counts.map((n, k) => n + (k === t ? 1 : 0)),
            );
        });
      }
    return [...reached[room]!.values()];
  }

  const cases = [1, 2, 3, 4, 5, 6, 7, 8].flatMap((seed) =>
    ['nothing', 'fixed', 'drifting'].map((kind) => ({ seed, kind })),
  );
  test.each(cases)(
    'is the optimum of the solver’s linear programme over all patterns, seed $seed, matched: $kind',
    ({ seed, kind }) => {
      const random = new Random(200 + seed);
      const width = 30 + random.below(30);
      const period = 7 + random.below(8);
      const things = Array.from({ length: 5 }, (_, t): Thing => {
        const side = 6 + random.below(18);
        const first = random.below(Math.min(period, width - side));
        const starts = kind !== 'nothing' && t < 3 ? { first, period, drifts: kind === 'drifting' } : null;
        return { side, cover: 4 + random.below(20), qty: 1 + random.below(6), starts };
      });
      const loose = random.below(2) * random.below(900);
      // Drifting parts may lie with any phase, on each line with one for all.
      const moves = kind === 'drifting' ? period : 1;
      const all = Array.from({ length: moves }, (_, by) =>
        patterns(
          things.map((thing) => ({
            ...thing,
            starts: thing.starts && { first: (thing.starts.first + by) % period, period },
          })),
          width,
        ),
      ).flat();
      const term = (coefficient: number, name: string) => (coefficient === 0 ? '' : ` + ${coefficient} ${name}`);
      const rows = things.map(
        ({ cover, qty }, t) => ` t${t}:${all.map((counts, p) => term(counts[t]!, `p${p}`)).join('')} >= ${qty * cover}`,
      );
      const rest = (counts: readonly number[]) => width - counts.reduce((sum, n, t) => sum + n * things[t]!.side, 0);
      const spare = all.map((counts, p) => term(rest(counts), `p${p}`)).join('');
      if (loose > 0) rows.push(` loose:${spare} >= ${loose}`);
      const program = `Minimize\n obj:${all.map((_, p) => term(1, `p${p}`)).join('')}\nSubject To\n${rows.join('\n')}\nEnd`;
      const solution = solver.solve(program);
      expect(solution.Status).toBe('Optimal');
      // In millionths, so that rounding down is nothing.
      const fine = 1_000_000;
      const bound = barRelaxation(
        things.map(({ side, cover, qty, starts }) => ({ qty, ways: [{ side, cover: cover * fine, starts }] })),
        BigInt(loose * fine),
        width,
      );
      expect(bound / fine).toBeLessThanOrEqual(solution.ObjectiveValue * (1 + 1e-6));
      // Pricing stops within 2 in 10,000 of the optimum.
      expect(bound / fine).toBeGreaterThan(solution.ObjectiveValue * (1 - 5e-4));
    },
  );
});

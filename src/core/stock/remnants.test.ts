import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { inches, NM } from '../length';
import { findFaults, nest, type LayPlan } from '../lay';
import { jobOf } from '../lay/testing';
import { drawPlan } from '../marker';
import { patternPart, remnantsOf, splitUsed, SPLIT_PARTS } from '.';

const laid = (rest: object, steps = 60) => {
  const job = jobOf(rest);
  const plan = nest(job, { steps });
  if (!plan.ok) throw new Error('refused');
  return { job, plan: plan.value };
};
const cloth = { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'none' };
const least: [number, number] = [inches(10), inches(10)];
const inInches = (box: readonly number[]) => box.map((value) => value / NM.in);

describe('remnants', () => {
  test('a piece of 30 by 40 leaves a strip of 23 by 40 beside it', () => {
    const { job, plan } = laid({ cloth, pieces: [{ id: 'a', size: [30, 40] }] });
    const [one, ...more] = remnantsOf(job, plan, least);
    expect(more).toEqual([]);
    expect(inInches(one!.box)).toEqual([30.5, 0, 53.5, 40]);
    expect(one).toMatchObject({ outline: null, stock: 'roll' });
    expect(one!.area).toBe(inches(23) * inches(40));
  });

  test('nothing under the least size, either way round', () => {
    const { job, plan } = laid({ cloth, pieces: [{ id: 'a', size: [30, 40] }] });
    expect(remnantsOf(job, plan, [inches(40), inches(24)])).toEqual([]);
    expect(remnantsOf(job, plan, [inches(40), inches(23)])).toHaveLength(1);
  });

  test('an end piece keeps its shape where that holds more than a rectangle', () => {
    // 20 x 60 beside 33 x 30: beyond the second piece 33 x 30 are free; a third, 15 x 15 on it, leaves an L.
    const job = jobOf({
      cloth,
      pieces: [
        { id: 'a', size: [20, 60] },
        { id: 'b', size: [33, 30] },
        { id: 'c', size: [15, 12] },
      ],
    });
    const at = (piece: string, x: number, y: number) => ({ piece, copy: 1, x: inches(x), y: inches(y), turn: 0 });
    const plan: LayPlan = {
      lays: [
        { stock: 'roll', used: inches(60), placed: [at('a', 0.5, 0), at('b', 20.5, 0), at('c', 20.5, 30)], cuts: [] },
      ],
      unplaced: [],
      used: inches(60),
      endless: inches(60),
      bound: 0,
      passes: 0,
      refused: 0,
    };
    expect(findFaults(job, plan)).toEqual([]);
    const [end] = remnantsOf(job, plan, least);
    // 33 x 30 less 15 x 12; the largest rectangle in it is 33 x 18.
    expect(end!.area / NM.in ** 2).toBeCloseTo(33 * 30 - 15 * 12, 6);
    expect(inInches(end!.box)).toEqual([20.5, 30, 53.5, 60]);
    expect(end!.outline!.map(inInches)).toEqual(
      expect.arrayContaining([
        [0, 12],
        [15, 12],
        [15, 0],
        [33, 0],
        [33, 30],
        [0, 30],
      ]),
    );
    expect(end!.outline).toHaveLength(6);
  });

  test('remembers where the motif lies, so that it can be matched again', () => {
    const { job, plan } = laid({
      cloth: { ...cloth, repeat: { across: 9, along: 8, drop: 0 } },
      stock: [{ id: 'B1', motif: [2, 3] }],
      pieces: [{ id: 'a', size: [30, 40] }],
    });
    const [one] = remnantsOf(job, plan, least);
    // Points of the pattern lie at 2 + 9 i across: the first beyond 30 1/2 is 38, 7 1/2 in from its edge; along at 3.
    expect(inInches(one!.motif)).toEqual([7.5, 3]);
  });

  test('lie free of everything and of each other, inside the used cloth, and the split adds up to the nanometre', () => {
    const piece = fc.record({
      w: fc.integer({ min: 4, max: 50 }),
      h: fc.integer({ min: 4, max: 50 }),
      qty: fc.integer({ min: 1, max: 3 }),
    });
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 6 }), fc.boolean(), (some, isFlawed) => {
        const { job, plan } = laid(
          {
            cloth: { ...cloth, turns: 'any' },
            stock: [{ id: 'B1', flaws: isFlawed ? [[10, 5, 4, 6]] : [] }],
            pieces: some.map(({ w, h, qty }, i) => ({ id: `p${i}`, size: [w, h], qty })),
          },
          8,
        );
        const kept = remnantsOf(job, plan, [inches(6), inches(9)]);
        const boxes = kept.filter(({ outline }) => !outline).map(({ box }) => box);
        const rings = drawPlan(job, plan).flatMap(({ items }) => items.map(({ ring }) => ring));
        const solid = rings.map((ring) => [
          Math.min(...ring.map(([x]) => x)),
          Math.min(...ring.map(([, y]) => y)),
          Math.max(...ring.map(([x]) => x)),
          Math.max(...ring.map(([, y]) => y)),
        ]);
        const meets = (a: readonly number[], b: readonly number[]) =>
          a[0]! < b[2]! && b[0]! < a[2]! && a[1]! < b[3]! && b[1]! < a[3]!;
        boxes.forEach((box, i) => {
          expect(solid.some((other) => meets(box, other))).toBe(false);
          expect(boxes.some((other, k) => k !== i && meets(box, other))).toBe(false);
          expect(box[3]).toBeLessThanOrEqual(plan.used);
          if (isFlawed) expect(meets(box, [10, 5, 14, 11].map(inches))).toBe(false);
        });
        const [lay] = plan.lays;
        const split = splitUsed(job, lay!, { fullWidth: inches(54), kept, patternPart: 0.1 });
        expect(SPLIT_PARTS.reduce((sum, name) => sum + split[name], 0)).toBe(lay!.used);
        expect(SPLIT_PARTS.every((name) => Number.isInteger(split[name]) && split[name] >= 0)).toBe(true);
      }),
      { numRuns: tries(60) },
    );
  });
});

describe('slivers', () => {
  const at = (piece: string, x: number, y: number) => ({ piece, copy: 1, x: inches(x), y: inches(y), turn: 0 });
  const planOf = (placed: ReturnType<typeof at>[], used: number): LayPlan => ({
    lays: [{ stock: 'roll', used: inches(used), placed, cuts: [] }],
    unplaced: [],
    used: inches(used),
    endless: inches(used),
    bound: 0,
    passes: 0,
    refused: 0,
  });

  test('a tall narrow part is no part of what is kept: each part is as large as the least that the workroom keeps', () => {
    // Beside a: 0.5 in, from 40 on 8 in, from 90 on 33 in; the least is 12 x 12.
    const job = jobOf({
      cloth,
      pieces: [
        { id: 'a', size: [52.5, 40] },
        { id: 'b', size: [45, 50] },
        { id: 'c', size: [20, 30] },
      ],
    });
    const plan = planOf([at('a', 0.5, 0), at('b', 0.5, 40), at('c', 0.5, 90)], 120);
    expect(findFaults(job, plan)).toEqual([]);
    const kept = remnantsOf(job, plan, [inches(12), inches(12)]);
    expect(kept).toHaveLength(1);
    expect(inInches(kept[0]!.box)).toEqual([20.5, 90, 53.5, 120]);
    expect(kept[0]!.area).toBe(inches(33) * inches(30));
  });

  test('whatever is laid, every place of a kept shape lies in a rectangle of the least size within it', () => {
    const piece = fc.record({
      w: fc.integer({ min: 4, max: 50 }),
      h: fc.integer({ min: 4, max: 90 }),
      qty: fc.integer({ min: 1, max: 3 }),
    });
    fc.assert(
      fc.property(fc.array(piece, { minLength: 2, maxLength: 7 }), (some) => {
        const { job, plan } = laid(
          { cloth, pieces: some.map(({ w, h, qty }, i) => ({ id: `p${i}`, size: [w, h], qty })) },
          4,
        );
        for (const { outline, area } of remnantsOf(job, plan, [inches(9), inches(14)])) {
          if (!outline) continue;
          expect(area).toBeGreaterThan(0);
          const top = Math.max(...outline.map(([, y]) => y));
          // The steps from left to right: over each of them the shape is free up to the cut.
          const xs = [...new Set(outline.map(([x]) => x))].sort((a, b) => a - b);
          const baseAt = (x: number) => {
            const edges = outline.flatMap(([x0, y0], i) => {
              const [x1, y1] = outline[(i + 1) % outline.length]!;
              return y0 === y1 && y0 !== top && Math.min(x0, x1) < x && Math.max(x0, x1) > x ? [y0] : [];
            });
            return Math.min(...edges);
          };
          const columns = xs.slice(1).map((to, i) => ({ from: xs[i]!, to, base: baseAt((xs[i]! + to) / 2) }));
          columns.forEach(({ base }, i) => {
            let [from, to] = [i, i];
            while (from > 0 && columns[from - 1]!.base <= base) from--;
            while (to < columns.length - 1 && columns[to + 1]!.base <= base) to++;
            const [wide, long] = [columns[to]!.to - columns[from]!.from, top - base];
            expect((wide >= inches(9) && long >= inches(14)) || (wide >= inches(14) && long >= inches(9))).toBe(true);
          });
        }
      }),
      { numRuns: tries(80) },
    );
  });
});

describe('the split of the used length', () => {
  test('a piece of 30 x 40 on 54 with 1/2 selvages, the strip beside it kept', () => {
    const { job, plan } = laid({ cloth, pieces: [{ id: 'a', size: [30, 40] }] });
    const kept = remnantsOf(job, plan, least);
    const split = splitUsed(job, plan.lays[0]!, { fullWidth: inches(54), kept, patternPart: 0 });
    // By width, over 40 in: 30/54 pieces, 23/54 remnant, 1/54 selvage.
    expect(split.pieces / NM.in).toBeCloseTo((40 * 30) / 54, 6);
    expect(split.remnant / NM.in).toBeCloseTo((40 * 23) / 54, 6);
    expect(split.selvage / NM.in).toBeCloseTo(40 / 54, 6);
    expect(split.offcut + split.pattern + split.flaw).toBeLessThanOrEqual(2);
  });

  test('what the pattern takes is how much shorter it lies without one, and no more than what is free', () => {
    expect(patternPart(inches(50), inches(40))).toBeCloseTo(0.2, 12);
    expect(patternPart(inches(50), null)).toBe(0);
    expect(patternPart(inches(50), inches(60))).toBe(0);
    const { job, plan } = laid({ cloth, pieces: [{ id: 'a', size: [53, 40] }] });
    expect(splitUsed(job, plan.lays[0]!, { fullWidth: inches(54), kept: [], patternPart: 0.5 }).pattern).toBe(0);
  });

  test('of a washed cloth the parts sum to the length before the wash', () => {
    const { job, plan } = laid({ cloth, pieces: [{ id: 'a', size: [30, 48] }] });
    const split = splitUsed(job, plan.lays[0]!, { fullWidth: inches(54), kept: [], patternPart: 0, shrinkage: 0.04 });
    expect(SPLIT_PARTS.reduce((sum, name) => sum + split[name], 0)).toBe(inches(50));
  });
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { dissect, dissectedJob } from '@/bench/jobs';
import { GuillotineTree, type PartBox } from './guillotine-tree';
import { findFaults } from '../../check/check';
import { pieceParts } from '../../model/parts';
import { Random } from '../../search/random';
import { GuillotineRuin } from './guillotine-ruin';
import { jobOf } from '../../testing';

/** A dissection by straight cuts as boxes in eighths of an inch. */
const dissected = (n: number, seed: number) =>
  dissect(40, 60, n, new Random(seed)).map(({ x, y, w, h }, part): PartBox => ({
    part,
    way: { w: 8 * w, h: 8 * h, turned: 0 },
    x: 8 * x,
    y: 8 * y,
  }));
const treeOf = (boxes: readonly PartBox[], length = 480) => {
  const tree = new GuillotineTree(boxes.length, 1);
  tree.clear(320, length);
  return { tree, isDivided: tree.divide(boxes) };
};
const laidBy = (tree: GuillotineTree, boxes: readonly PartBox[]) => {
  const laid: PartBox[] = [];
  tree.each((part, x, y) => laid.push({ ...boxes[part]!, x, y }));
  return laid.sort((a, b) => a.part - b.part);
};
const areaOf = (boxes: readonly PartBox[]) => boxes.reduce((sum, { way }) => sum + way.w * way.h, 0);
const freeArea = (tree: GuillotineTree) =>
  [...tree.free.subarray(0, tree.open)].reduce((sum, node) => sum + tree.w[node]! * tree.h[node]!, 0);
const meets = (a: PartBox, b: PartBox) =>
  a.x < b.x + b.way.w && b.x < a.x + a.way.w && a.y < b.y + b.way.h && b.y < a.y + a.way.h;

/** Four round one in the middle: no straight cut goes through. */
const PINWHEEL = [
  [0, 0, 2, 1],
  [2, 0, 1, 2],
  [1, 2, 2, 1],
  [0, 1, 1, 2],
  [1, 1, 1, 1],
].map(([x, y, w, h], part): PartBox => ({ part, way: { w: w!, h: h!, turned: 0 }, x: x!, y: y! }));

describe('the tree of cuts', () => {
  test('a lay by straight cuts is taken over as it is; what they cannot divide is not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 1e6 }), (n, seed) => {
        const boxes = dissected(n, seed);
        const { tree, isDivided } = treeOf(boxes);
        expect(isDivided).toBe(true);
        expect(laidBy(tree, boxes)).toEqual(boxes);
        expect(tree.open).toBe(0);
      }),
      { numRuns: tries(60) },
    );
    expect(treeOf(PINWHEEL, 3).isDivided).toBe(false);
    expect(treeOf(PINWHEEL.slice(1), 3).isDivided).toBe(true);
  });

  test('what is taken off leaves its area free, in the way, and all apart from each other; all taken off, one free rectangle is left', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 50 }), fc.integer({ min: 0, max: 1e6 }), (n, seed) => {
        const boxes = dissected(n, seed);
        const { tree } = treeOf(boxes);
        const random = new Random(seed);
        const out: number[] = [];
        while (out.length < n) {
          const part = random.below(n);
          if (tree.nodeOf[part]! < 0) continue;
          const before = out.length;
          const most = 1 + random.below(6);
          tree.takeOff(part, random.below(4), most, out);
          expect(out.slice(before)).toContain(part);
          expect(out.length - before).toBeLessThanOrEqual(most);
          const laid = laidBy(tree, boxes);
          expect(laid.map((box) => box.part)).toEqual(boxes.map((_, i) => i).filter((i) => !out.includes(i)));
          expect(freeArea(tree)).toBe(320 * 480 - areaOf(laid));
          expect(laid.some((a, i) => laid.slice(0, i).some((b) => meets(a, b)))).toBe(false);
        }
        expect([tree.open, tree.w[tree.free[0]!], tree.h[tree.free[0]!]]).toEqual([1, 320, 480]);
      }),
      { numRuns: tries(60) },
    );
  });

  test('a shorter cloth holds what is left, and loses no more than it must where the end is free', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 50 }),
        fc.integer({ min: 0, max: 1e6 }),
        fc.integer({ min: 1, max: 470 }),
        (n, seed, less) => {
          const boxes = dissected(n, seed);
          const { tree } = treeOf(boxes);
          const random = new Random(seed);
          const out: number[] = [];
          tree.shorten(less, (count) => random.below(count), out);
          const laid = laidBy(tree, boxes);
          expect(laid.length + out.length).toBe(n);
          expect(out.length).toBeGreaterThan(0);
          expect(laid.every(({ x, y, way }) => x >= 0 && x + way.w <= 320 && y + way.h <= 480 - less)).toBe(true);
          expect(laid.some((a, i) => laid.slice(0, i).some((b) => meets(a, b)))).toBe(false);
          expect(freeArea(tree)).toBe(320 * (480 - less) - areaOf(laid));
        },
      ),
      { numRuns: tries(80) },
    );
    const boxes = dissected(20, 3);
    const { tree } = treeOf(boxes, 500);
    const out: number[] = [];
    tree.shorten(20, () => 0, out);
    expect([out, laidBy(tree, boxes), tree.open]).toEqual([[], boxes, 0]);
  });

  test('a copy goes its own way', () => {
    const boxes = dissected(20, 5);
    const { tree } = treeOf(boxes);
    const other = new GuillotineTree(20, 1);
    other.copy(tree);
    other.takeOff(3, 0, 1, []);
    expect([laidBy(other, boxes).length, laidBy(tree, boxes)]).toEqual([19, boxes]);
  });
});

describe('ruin and recreate on the tree of cuts', () => {
  /** Steps toward ever shorter targets; the length that was reached (nm), and the lay. */
  const shortened = (job: ReturnType<typeof jobOf>, from: number, steps: number) => {
    const parts = pieceParts(job);
    const ruinAndRecreate = new GuillotineRuin(job, parts, new Random(7));
    ruinAndRecreate.build(from);
    expect(ruinAndRecreate.isWhole).toBe(true);
    const n = parts.length;
    const [x, y, turned] = [new Float64Array(n), new Float64Array(n), new Uint8Array(n)];
    let best = 0;
    for (let step = 0; step <= steps; step++) {
      if (ruinAndRecreate.isWhole) {
        best = ruinAndRecreate.used;
        ruinAndRecreate.unfold(x, y, turned);
        ruinAndRecreate.aim(best - 3_175_000);
      }
      ruinAndRecreate.tryStep();
    }
    const placed = parts.map(({ piece }, i) => ({
      piece: piece!.id,
      copy: piece!.copy,
      x: x[i]!,
      y: y[i]!,
      turn: 90 * turned[i]!,
    }));
    const lays = [{ stock: job.stock[0]!.id, used: best, placed, cuts: [] }];
    return {
      best,
      faults: findFaults(job, { lays, unplaced: [], used: best, endless: best, bound: 0, passes: 0, refused: 0 }),
    };
  };

  test('a dissection is laid within a tenth of its length, and the lay comes apart by straight cuts', () => {
    const { job, best } = dissectedJob(40, 4, 'straight');
    const lay = shortened(job, best * 25.4e6 * 1.5, 20_000);
    expect(lay.faults).toEqual([]);
    expect(lay.best / 25.4e6).toBeLessThan(1.1 * best);
    expect(lay.best / 25.4e6).toBeGreaterThanOrEqual(best);
  });

  test('gaps, selvages and nap hold; forty parts come near to what they must take', () => {
    const job = jobOf({
      cut: 'straight',
      gap: 0.25,
      cloth: { name: 't', width: 54, selvage: [0.5, 0.75], turns: 'none' },
      pieces: [
        [21, 17, 8],
        [12.5, 9, 8],
        [31, 4, 8],
        [7, 6.5, 16],
      ].map(([w, h, qty], i) => ({ id: `p${i}`, size: [w, h], qty })),
    });
    const area = [
      [21, 17, 8],
      [12.5, 9, 8],
      [31, 4, 8],
      [7, 6.5, 16],
    ].reduce((sum, [w, h, qty]) => sum + (w! + 0.25) * (h! + 0.25) * qty!, 0);
    const lay = shortened(job, 400 * 25.4e6, 20_000);
    expect(lay.faults).toEqual([]);
    expect(lay.best / 25.4e6 / (area / 53)).toBeLessThan(1.12);
  });

  test('a lay that straight cuts cannot divide is laid anew below its length as far as it goes', () => {
    const job = jobOf({
      cut: 'straight',
      cloth: { name: 't', width: 3, turns: 'none' },
      pieces: PINWHEEL.map(({ way: { w, h } }, i) => ({ id: `p${i}`, size: [w, h] })),
    });
    const ruinAndRecreate = new GuillotineRuin(job, pieceParts(job), new Random(1));
    const inch = 25.4e6;
    const where = (of: (box: PartBox) => number) => Float64Array.from(PINWHEEL, (box) => of(box) * inch);
    ruinAndRecreate.load({ x: where(({ x }) => x), y: where(({ y }) => y), turned: new Uint8Array(5) }, 3 * inch);
    expect(ruinAndRecreate.isWhole).toBe(false);
    expect(ruinAndRecreate.used).toBeLessThanOrEqual(3 * inch);
  });
});

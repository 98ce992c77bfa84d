import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches } from '../../length';
import { jobOf, lay } from '../testing';
import { bestTube } from '../model/parts';
import { biasBlock, cutLengths, fewestCuts, type StripWant } from './strips';

describe('strips', () => {
  const want = (rest: Partial<StripWant> = {}): StripWant => ({
    strip: 's',
    copy: 1,
    width: inches(1.5),
    length: inches(106),
    loss: inches(1.5),
    least: inches(12),
    ...rest,
  });

  test('two strips across a 54 in cloth with a 45-degree join give 106 1/2, but 104 1/2 without selvages (common practice, no source)', () => {
    expect(fewestCuts(want({ length: inches(106.5) }), inches(54))).toBe(2);
    expect(fewestCuts(want({ length: inches(106.5) + 1 }), inches(54))).toBe(3);
    expect(fewestCuts(want({ length: inches(104.5) }), inches(53))).toBe(2);
    expect(fewestCuts(want({ length: inches(106) }), inches(53))).toBe(3);
  });

  test('cuts join to the length they should', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 900 }), fc.integer({ min: 1, max: 20 }), fc.boolean(), (long, n, even) => {
        const one = want({ length: inches(long) });
        const cuts = cutLengths(one, n, inches(53), even);
        if (!cuts || cuts.length === 0) return;
        expect(cuts.reduce((a, b) => a + b, 0) - (n - 1) * one.loss).toBeGreaterThanOrEqual(one.length);
        expect(cuts.every((cut) => cut >= one.least && cut <= inches(53))).toBe(true);
      }),
    );
  });

  test('a bias block yields no more than its area, and not much less', () => {
    // Source of the rule: quilting handbooks, length = side² / width for a continuous tube; a block with joins stays under it.
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 60 }),
        fc.integer({ min: 150, max: 900 }),
        fc.constantFrom(1.25, 1.5, 2),
        (side, long, width) => {
          const one = want({ width: inches(width), loss: inches(width), length: inches(long) });
          const block = biasBlock(inches(side), [one], 0)!;
          const yieldArea = one.width * one.length;
          const area = block.width * block.height;
          expect(area).toBeGreaterThan(yieldArea);
          // The two corner triangles under the least length and the slanted joins: at most a cut's width on each side.
          expect(area).toBeLessThan(yieldArea * 1.35 + inches(side) * inches(30));
        },
      ),
    );
  });

  test('a bias block joins to just what is wanted, whichever way it lies', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 24, max: 60 }),
        fc.integer({ min: 12, max: 900 }),
        fc.boolean(),
        (side, long, isLying) => {
          const one = want({ width: inches(1.5), loss: inches(1.5), least: inches(12), length: inches(long) });
          const { cuts, width, height } = biasBlock(inches(side), [one], 0, isLying)!;
          const joined = cuts.reduce((sum, cut) => sum + cut.length, 0) - (cuts.length - 1) * one.loss;
          expect(joined).toBeGreaterThanOrEqual(one.length - 2540);
          // The last cut may be the shortest allowed where less was missing.
          expect(joined).toBeLessThanOrEqual(one.length + one.least);
          for (const { length, outline } of cuts) {
            expect(length).toBeGreaterThanOrEqual(one.least - 2540);
            const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
            // An edge of `length` at 45 degrees, and a side or an end of width * sqrt 2.
            expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(
              (length + (isLying ? 2 * one.width : 0)) / Math.SQRT2,
              -2,
            );
            expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(
              (length + (isLying ? 0 : 2 * one.width)) / Math.SQRT2,
              -2,
            );
            expect(Math.min(...xs, ...ys)).toBeGreaterThanOrEqual(0);
            expect(Math.max(...xs)).toBeLessThanOrEqual(width + 2540);
            expect(Math.max(...ys)).toBeLessThanOrEqual(height + 2540);
          }
        },
      ),
    );
  });

  test('a strip no longer than the least cut is one cut', () => {
    const one = want({ width: inches(1.5), loss: inches(1.5), least: inches(12), length: inches(30) });
    expect(biasBlock(inches(53), [{ ...one, length: inches(10) }], 0)!.cuts).toHaveLength(1);
  });

  test('a tube from a square: side² = length x width; offered where it fits and takes less than any block of strips', () => {
    const one: StripWant = {
      strip: 's',
      copy: 1,
      width: inches(1.5),
      length: inches(150),
      loss: inches(1.5),
      least: inches(12),
    };
    const tube = bestTube(one, inches(53), 0)!;
    expect(tube.side).toBe(inches(15)); // 15 x 15 = 225 = 150 x 1 1/2
    expect(tube.tube).toBeLessThan(tube.strips);
    // The block of strips that it is compared with is the least of those that the engine would cut.
    for (const side of [53, 26.5, 15.9])
      expect(
        biasBlock(inches(side), [one], 0)!.width * biasBlock(inches(side), [one], 0)!.height,
      ).toBeGreaterThanOrEqual(tube.strips);
    expect(bestTube(one, inches(14), 0)).toBeNull();
    // One cut from edge to edge, 53 x 1.414 = 74.95, has no joins to save.
    expect(bestTube({ ...one, length: inches(74) }, inches(53), 0)).toBeNull();
    expect(bestTube({ ...one, length: inches(76) }, inches(53), 0)).not.toBeNull();
  });

  test('strips join to their lengths in the lay, whatever the grain', () => {
    for (const grain of ['across', 'along', 'bias']) {
      const job = jobOf({
        pieces: [{ id: 'a', size: [20, 20], qty: 2 }],
        strips: [{ id: 's', width: 1.5, length: 230, grain, loss: 1.5, least: 12, qty: 2 }],
      });
      const plan = lay(job, 200);
      const total = (copy: number) => {
        const cuts = plan.lays.flatMap(({ cuts: all }) => all).filter((cut) => cut.copy === copy);
        return cuts.reduce((sum, cut) => sum + cut.length, 0) - (cuts.length - 1) * inches(1.5);
      };
      expect(total(1)).toBeGreaterThanOrEqual(inches(230) - 2540);
      expect(total(2)).toBeGreaterThanOrEqual(inches(230) - 2540);
      expect(plan.unplaced).toEqual([]);
    }
  });
});

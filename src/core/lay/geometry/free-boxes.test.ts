import type { Box } from '../model/box';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { NM } from '../../length';
import { cutFromGaps, leastGap } from '../strips/from-gaps';
import { freeBoxes, without } from './free-boxes';
import { findFaults } from '../index';
import { Random } from '../search/random';
import type { StripWant } from '../strips/strips';
import { jobOf, lay } from '../testing';

const inches = (value: number) => Math.round(value * NM.in);
const [W, H] = [9, 8];
const boxArb = fc
  .tuple(
    fc.integer({ min: 0, max: W - 1 }),
    fc.integer({ min: 0, max: H - 1 }),
    fc.integer({ min: 1, max: 5 }),
    fc.integer({ min: 1, max: 5 }),
  )
  .map(([x, y, w, h]): Box => [x, y, Math.min(W, x + w), Math.min(H, y + h)]);
const meet = (a: Box, b: Box) => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];
const holds = (outer: Box, inner: Box) =>
  outer[0] <= inner[0] && outer[1] <= inner[1] && outer[2] >= inner[2] && outer[3] >= inner[3];

/** Every rectangle of whole squares. */
const ALL: Box[] = [];
for (let x0 = 0; x0 < W; x0++)
  for (let x1 = x0 + 1; x1 <= W; x1++)
    for (let y0 = 0; y0 < H; y0++) for (let y1 = y0 + 1; y1 <= H; y1++) ALL.push([x0, y0, x1, y1]);

describe('free rectangles', () => {
  test('all that can not be made larger are found, and what is found is free: against all rectangles there are', () => {
    const least = fc.integer({ min: 1, max: 3 });
    fc.assert(
      fc.property(fc.array(boxArb, { maxLength: 7 }), least, least, (boxes, leastWidth, leastHeight) => {
        const found = freeBoxes(boxes, [0, 0, W, H], leastWidth, leastHeight);
        const free = ALL.filter((one) => !boxes.some((box) => meet(one, box)));
        const largest = free.filter(
          (one) =>
            one[2] - one[0] >= leastWidth &&
            one[3] - one[1] >= leastHeight &&
            !free.some((other) => other !== one && holds(other, one)),
        );
        for (const one of largest) expect(found).toContainEqual(one);
        for (const one of found) expect(free).toContainEqual(one);
      }),
      { numRuns: tries(120) },
    );
  });

  test('what a box leaves of another is free of it, and holds every rectangle beside it', () => {
    fc.assert(
      fc.property(boxArb, boxArb, (box, taken) => {
        const left = without(box, taken);
        for (const one of left) expect(holds(box, one) && !meet(one, taken)).toBe(true);
        for (const one of ALL)
          if (holds(box, one) && !meet(one, taken)) expect(left.some((some) => holds(some, one))).toBe(true);
      }),
    );
  });
});

describe('bias from gaps', () => {
  const cord: StripWant = {
    strip: 's',
    copy: 1,
    width: inches(1.5),
    length: inches(300),
    loss: inches(1.5),
    least: inches(12),
  };
  const side = fc.integer({ min: 10, max: 30 });

  test('blocks lie in the gaps, apart, and with what is wanting still join to the whole strip', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), side, side), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.integer({ min: 20, max: 500 }),
        fc.constantFrom(0, 0.25),
        fc.nat(),
        (corners, long, gap, seed) => {
          const want = { ...cord, length: inches(long) };
          const gaps = corners.map(([x, y, w, h]) => ({
            stock: 0,
            box: [x, y, x + w, y + h].map(inches) as unknown as Box,
          }));
          const margin = inches(gap / 2);
          const { cuts, rest } = cutFromGaps([want], gaps, margin, inches(gap), 4, new Random(seed));
          const boxes = cuts.map(({ x, y, block }): Box => [
            x - margin,
            y - margin,
            x + block.width + margin,
            y + block.height + margin,
          ]);
          for (const one of boxes) expect(gaps.some(({ box }) => holds(box, one))).toBe(true);
          boxes.forEach((one, i) => expect(boxes.slice(0, i).some((other) => meet(one, other))).toBe(false));
          const lengths = cuts.flatMap(({ block }) => block.cuts.map(({ length }) => length));
          for (const length of lengths) expect(length).toBeGreaterThanOrEqual(want.least - 2540);
          const wanting = rest[0] ? rest[0].length - want.loss : 0;
          const joined = lengths.reduce((sum, length) => sum + length - want.loss, wanting);
          expect(joined).toBeGreaterThanOrEqual(want.length - want.loss - 2540 * (lengths.length + 1));
          expect(joined).toBeLessThanOrEqual(want.length + want.least);
        },
      ),
      { numRuns: tries(200) },
    );
  });

  test('no cut fits a gap that is narrower than the least one', () => {
    const least = leastGap([cord]);
    expect(least / NM.in).toBeCloseTo(12 / Math.SQRT2, 4);
    const narrow: Box = [0, 0, least - 10, inches(60)];
    expect(cutFromGaps([cord], [{ stock: 0, box: narrow }], 0, 0, 4, new Random(1)).cuts).toEqual([]);
  });

  test('a strip that no one gap holds is cut from two', () => {
    // A gap of 10 by 30 in beside each panel: by area no more than 200 in of a strip 1 1/2 in wide.
    const job = jobOf({
      cloth: { name: 't', width: 70, turns: 'none' },
      stock: [
        { id: 'one', length: 30 },
        { id: 'two', length: 30 },
      ],
      pieces: [{ id: 'panel', size: [60, 30], qty: 2 }],
      strips: [{ id: 'cord', width: 1.5, length: 210, grain: 'bias', loss: 1.5, least: 12 }],
    });
    const plan = lay(job, 400);
    expect(plan.unplaced).toEqual([]);
    expect(findFaults(job, plan)).toEqual([]);
    expect(plan.lays.map(({ cuts }) => cuts.length > 0)).toEqual([true, true]);
  });
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import type { Box } from '../model/box';
import { nowhere, type SpaceRule } from './free-space';
import { GuillotineSpace } from './guillotine-space';

const WIDTH = 40;
const RULES: SpaceRule[] = ['top', 'bottom', 'tight'];
const sizes = fc.array(fc.tuple(fc.integer({ min: 1, max: 18 }), fc.integer({ min: 1, max: 18 })), {
  minLength: 1,
  maxLength: 25,
});
const meet = (a: Box, b: Box) => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];

/** Lays boxes one after another where the space finds room for them. */
function laid(space: GuillotineSpace, wanted: readonly (readonly [number, number])[], rule: SpaceRule): Box[] {
  const boxes: Box[] = [];
  space.clear(rule);
  for (const [w, h] of wanted) {
    const best = nowhere();
    space.find(w, h, rule, best, null, null, [0, 0]);
    if (best.score === Infinity) continue;
    space.take(best.x, best.y, best.x + w, best.y + h);
    boxes.push([best.x, best.y, best.x + w, best.y + h]);
  }
  return boxes;
}

/** Tells whether boxes come free of each other by cuts from edge to edge: tried one after another, independently of the space. */
function comesFree(boxes: readonly Box[]): boolean {
  if (boxes.length < 2) return true;
  for (const [low, high] of [
    [0, 2],
    [1, 3],
  ] as const)
    for (const at of new Set(boxes.map((box) => box[high]))) {
      const before = boxes.filter((box) => box[high] <= at);
      const after = boxes.filter((box) => box[low] >= at);
      if (before.length + after.length === boxes.length && before.length > 0 && after.length > 0)
        return comesFree(before) && comesFree(after);
    }
  return false;
}

describe.each(RULES)('by the rule “%s”', (rule) => {
  test('on endless cloth everything finds room, lies on the cloth, and comes free by cuts from edge to edge', () => {
    fc.assert(
      fc.property(sizes, (wanted) => {
        const boxes = laid(new GuillotineSpace(0, WIDTH, Infinity, 1, 1, []), wanted, rule);
        // Cut into columns first, a box that is wider than all of them finds none.
        if (rule !== 'tight') expect(boxes).toHaveLength(wanted.length);
        for (const [x0, y0, x1] of boxes) expect(x0 >= 0 && y0 >= 0 && x1 <= WIDTH).toBe(true);
        for (const [i, one] of boxes.entries())
          for (const other of boxes.slice(i + 1)) expect(meet(one, other)).toBe(false);
        expect(comesFree(boxes)).toBe(true);
      }),
      { numRuns: tries(60) },
    );
  });

  test('on a sheet what found room comes free, too, and lies within it', () => {
    fc.assert(
      fc.property(sizes, fc.integer({ min: 10, max: 40 }), (wanted, top) => {
        const boxes = laid(new GuillotineSpace(0, WIDTH, top, 1, 1, []), wanted, rule);
        for (const [, , , y1] of boxes) expect(y1).toBeLessThanOrEqual(top);
        expect(comesFree(boxes)).toBe(true);
      }),
      { numRuns: tries(60) },
    );
  });

  test('nothing lies on a flaw', () => {
    const flaw = fc
      .tuple(fc.nat({ max: 30 }), fc.nat({ max: 40 }), fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 8 }))
      .map(([x, y, w, h]): Box => [x, y, x + w, y + h]);
    fc.assert(
      fc.property(sizes, fc.array(flaw, { minLength: 1, maxLength: 4 }), (wanted, flaws) => {
        const boxes = laid(new GuillotineSpace(0, WIDTH, Infinity, 1, 1, flaws), wanted, rule);
        for (const box of boxes) for (const one of flaws) expect(meet(box, one)).toBe(false);
        expect(comesFree(boxes)).toBe(true);
      }),
      { numRuns: tries(60) },
    );
  });

  test('cleared, the whole length is free again', () => {
    const space = new GuillotineSpace(0, WIDTH, Infinity, 1, 1, []);
    const first = laid(
      space,
      [
        [10, 7],
        [12, 3],
      ],
      rule,
    );
    expect(
      laid(
        space,
        [
          [10, 7],
          [12, 3],
        ],
        rule,
      ),
    ).toEqual(first);
    expect(laid(space, [[WIDTH, 5]], rule)).toEqual([[0, 0, WIDTH, 5]]);
  });
});

test('a check that can fail: four boxes round a hole (a pinwheel) come free by no cut from edge to edge', () => {
  expect(
    comesFree([
      [0, 0, 2, 1],
      [2, 0, 3, 2],
      [1, 2, 3, 3],
      [0, 1, 1, 3],
    ]),
  ).toBe(false);
});

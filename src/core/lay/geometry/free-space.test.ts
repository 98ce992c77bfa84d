import type { Box } from '../model/box';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { FreeSpace, nowhere, type SpaceRule } from './free-space';

const [WIDTH, HEIGHT] = [24, 60];
const boxArb = fc
  .tuple(
    fc.integer({ min: 0, max: WIDTH - 1 }),
    fc.integer({ min: 0, max: 40 }),
    fc.integer({ min: 1, max: 12 }),
    fc.integer({ min: 1, max: 12 }),
  )
  .map(([x, y, w, h]): Box => [x, y, Math.min(WIDTH, x + w), y + h]);
const boxes = fc.array(boxArb, { maxLength: 12 });
const lattices = fc.constantFrom(
  { across: 5, along: 4, shift: 2 },
  { across: 6, along: 7, shift: 0 },
  { across: 4, along: 0, shift: 0 },
  { across: 0, along: 9, shift: 0 },
);

const isFree = (taken: readonly Box[], x: number, y: number, w: number, h: number) =>
  x >= 0 &&
  y >= 0 &&
  x + w <= WIDTH &&
  y + h <= HEIGHT &&
  taken.every(([ax, ay, bx, by]) => x >= bx || x + w <= ax || y >= by || y + h <= ay);

/** Every whole place that is free for a box, from below and from the left. */
function* places(taken: readonly Box[], w: number, h: number) {
  for (let y = 0; y + h <= HEIGHT; y++)
    for (let x = 0; x + w <= WIDTH; x++) if (isFree(taken, x, y, w, h)) yield [x, y] as const;
}

describe('free cloth', () => {
  test.each<SpaceRule>(['bottom', 'top', 'tight'])(
    'the lowest place is found that a look at all of them finds, by the rule “%s”',
    (rule) => {
      fc.assert(
        fc.property(boxes, fc.integer({ min: 1, max: 10 }), fc.integer({ min: 1, max: 10 }), (taken, w, h) => {
          const space = new FreeSpace(0, WIDTH, HEIGHT, 1, 1, []);
          for (const box of taken) space.take(...box);
          const best = nowhere();
          space.find(w, h, rule, best, null, null, [0, 0]);
          const [first] = places(taken, w, h);
          if (!first) return void expect(best.score).toBe(Infinity);
          expect(best.y).toBe(first[1]);
          expect(isFree(taken, best.x, best.y, w, h)).toBe(true);
          // With ties the one further left; `tight` asks for the narrowest free width instead.
          if (rule !== 'tight') expect(best.x).toBe(first[0]);
        }),
        { numRuns: tries(400) },
      );
    },
  );

  test('with a phase it is the lowest place that holds it, whichever column of a drop that is', () => {
    fc.assert(
      fc.property(
        boxes,
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 1, max: 8 }),
        lattices,
        fc.nat({ max: 8 }),
        fc.nat({ max: 8 }),
        (taken, w, h, lattice, px, py) => {
          const space = new FreeSpace(0, WIDTH, HEIGHT, 1, 1, []);
          for (const box of taken) space.take(...box);
          const motif = [3, 2] as const;
          // The corner less the motif point is the phase and whole repeats: looked for one by one.
          const holds = (x: number, y: number) => {
            for (let i = -12; i <= 12; i++) {
              if (lattice.across > 0 && x - motif[0] - px !== i * lattice.across) continue;
              const along = y - motif[1] - py - i * lattice.shift;
              if (lattice.along === 0 || along % lattice.along === 0) return true;
            }
            return false;
          };
          const best = nowhere();
          space.find(w, h, 'bottom', best, [px, py], lattice, motif);
          const first = [...places(taken, w, h)].find(([x, y]) => holds(x, y));
          if (!first) return void expect(best.score).toBe(Infinity);
          expect(best.y).toBe(first[1]);
          expect(holds(best.x, best.y)).toBe(true);
          expect(isFree(taken, best.x, best.y, w, h)).toBe(true);
        },
      ),
      { numRuns: tries(400) },
    );
  });

  test('what is blocked from the start stays blocked when all is cleared; what was taken is free again', () => {
    fc.assert(
      fc.property(boxes, boxes, fc.integer({ min: 1, max: 9 }), (blocked, taken, side) => {
        const space = new FreeSpace(0, WIDTH, HEIGHT, 1, 1, blocked);
        for (const box of taken) space.take(...box);
        space.clear();
        const best = nowhere();
        space.find(side, side, 'bottom', best, null, null, [0, 0]);
        const [first] = places(blocked, side, side);
        expect([best.x, best.y]).toEqual(first ?? [0, 0]);
      }),
    );
  });

  test('what is too small for any part is not kept, and nothing larger is lost by that', () => {
    fc.assert(
      fc.property(boxes, fc.integer({ min: 3, max: 9 }), fc.integer({ min: 4, max: 9 }), (taken, w, h) => {
        const space = new FreeSpace(0, WIDTH, HEIGHT, 3, 4, []);
        for (const box of taken) space.take(...box);
        const best = nowhere();
        space.find(w, h, 'bottom', best, null, null, [0, 0]);
        const [first] = places(taken, w, h);
        expect(best.score === Infinity ? undefined : [best.x, best.y]).toEqual(first && [...first]);
      }),
    );
  });
});

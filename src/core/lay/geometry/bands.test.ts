import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { Bands } from './bands';
import type { Profile } from './columns';

type Box = [x: number, y: number, width: number, height: number];
const WIDTH = 100;
const profile = (width: number, height: number): Profile => ({ width, height, low: null, high: null });
const meets = ([ax, ay, aw, ah]: Box, [bx, by, bw, bh]: Box) =>
  ax < bx + bw && bx < ax + aw && ay < by + bh && by < ay + ah;

/** Boxes that do not lie in each other, as the bands hold them. */
const apart = (boxes: readonly Box[]) =>
  boxes.filter((box, i) => box[0] + box[2] <= WIDTH && boxes.slice(0, i).every((other) => !meets(box, other)));
const box = fc.tuple(
  fc.integer({ min: 0, max: 90 }),
  fc.integer({ min: 0, max: 120 }),
  fc.integer({ min: 1, max: 60 }),
  fc.integer({ min: 1, max: 40 }),
);
const layout = fc.array(box, { maxLength: 14 }).map((boxes) => apart(boxes as Box[]));

const filled = (boxes: readonly Box[], high = 7, top = Infinity, fixed: [number, number, number, number][] = []) => {
  const bands = new Bands(0, WIDTH, 0, top, high, 20, fixed);
  boxes.forEach(([x, y, w, h], i) => bands.take(i, x, y, profile(w, h)));
  return bands;
};

describe('bands', () => {
  test('the lowest place at x is the one that a look at every height finds', () => {
    fc.assert(
      fc.property(
        layout,
        fc.integer({ min: 0, max: 80 }),
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 50 }),
        fc.constantFrom(1, 2, 3, 7, 25),
        fc.integer({ min: 0, max: 60 }),
        (boxes, x, w, h, high, least) => {
          fc.pre(x + w <= WIDTH);
          let wanted = least;
          while (boxes.some((other) => meets([x, wanted, w, h], other))) wanted++;
          expect(filled(boxes, high).lowestAt(x, profile(w, h), least, Infinity, 0, 0)).toBe(wanted);
        },
      ),
      { numRuns: tries(400) },
    );
  });

  test('with a phase it is the lowest that holds it; below a limit or under the end of the cloth there may be none', () => {
    fc.assert(
      fc.property(
        layout,
        fc.integer({ min: 0, max: 80 }),
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 20, max: 160 }),
        (boxes, x, w, h, end) => {
          let wanted = 3;
          while (boxes.some((other) => meets([x, wanted, w, h], other))) wanted += 10;
          const bands = filled(boxes);
          expect(bands.lowestAt(x, profile(w, h), 0, Infinity, 3, 10)).toBe(wanted);
          expect(bands.lowestAt(x, profile(w, h), 0, wanted - 1, 3, 10)).toBe(Infinity);
          const low = apart(boxes).filter(([, y, , height]) => y + height <= end);
          let under = 3;
          while (low.some((other) => meets([x, under, w, h], other))) under += 10;
          expect(filled(low, 7, end).lowestAt(x, profile(w, h), 0, Infinity, 3, 10)).toBe(
            under + h <= end ? under : Infinity,
          );
        },
      ),
      { numRuns: tries(300) },
    );
  });

  test('the openings leave out no place that is free', () => {
    fc.assert(
      fc.property(
        layout,
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 50 }),
        fc.constantFrom(1, 2, 5, 7, 25),
        fc.constantFrom(Infinity, 150),
        (boxes, w, h, high, top) => {
          const low = boxes.filter(([, y, , height]) => y + height <= top);
          const bands = filled(low, high, top, [[20, 30, 35, 44]]);
          const flaw: Box = [20, 30, 15, 14];
          const rest = low.filter((box) => !meets(box, flaw));
          const open: { from: number; to: number; left: number; right: number }[] = [];
          for (const gone of low.filter((box) => meets(box, flaw))) bands.give(low.indexOf(gone));
          bands.startLooking(w, h);
          while (bands.nextOpening()) open.push({ ...bands.opening });
          // In ascending order, and each place in one of them.
          for (let i = 1; i < open.length; i++) expect(open[i]!.from).toBeGreaterThanOrEqual(open[i - 1]!.from);
          const missed: [number, number][] = [];
          for (let y = 0; y + h <= Math.min(top, 170); y++) {
            for (let x = 0; x + w <= WIDTH; x += 3) {
              if (open.some(({ from, to, left, right }) => from <= y && y <= to && left <= x && x + w <= right))
                continue;
              if (![...rest, flaw].some((other) => meets([x, y, w, h], other))) missed.push([x, y]);
            }
          }
          expect(missed).toEqual([]);
        },
      ),
      { numRuns: tries(200) },
    );
  });

  test('a full stretch of cloth has no opening, and what is left beside it only on that side', () => {
    const bands = filled(
      [
        [0, 0, 60, 40],
        [60, 0, 40, 15],
      ],
      5,
    );
    const open = (w: number, h: number) => {
      const found: number[][] = [];
      bands.startLooking(w, h);
      while (bands.nextOpening()) {
        const { from, to, left, right } = bands.opening;
        found.push([from, to, left, right]);
      }
      return found;
    };
    // 50 wide: nowhere beside the first box; above it everywhere.
    expect(open(50, 10)).toEqual([[40, Infinity, 0, 100]]);
    // 30 by 20 may begin where the second box ends.
    expect(open(30, 20)).toEqual([[15, Infinity, 0, 100]]);
    const closed = filled(
      [
        [0, 0, 60, 40],
        [60, 0, 40, 15],
        [0, 40, 100, 10],
      ],
      5,
      50,
    );
    closed.startLooking(30, 20);
    expect(closed.nextOpening()).toBe(true);
    expect(closed.opening).toEqual({ from: 15, to: 20, left: 60, right: 100 });
    expect(closed.nextOpening()).toBe(false);
  });

  test('what was taken off leaves no trace', () => {
    fc.assert(
      fc.property(layout, fc.integer({ min: 0, max: 13 }), fc.integer({ min: 0, max: 80 }), (boxes, gone, x) => {
        fc.pre(gone < boxes.length);
        const rest = boxes.filter((_, i) => i !== gone);
        const bands = filled(boxes);
        bands.give(gone);
        const other = filled(rest);
        expect(bands.lowestAt(x, profile(20, 15), 0, Infinity, 0, 0)).toBe(
          other.lowestAt(x, profile(20, 15), 0, Infinity, 0, 0),
        );
        const places = (of: Bands) => {
          const into = new Float64Array(100);
          return [...new Set(into.subarray(0, of.placesFor(12, 0, WIDTH, into)))].sort((a, b) => a - b);
        };
        expect(places(bands)).toEqual(places(other));
      }),
    );
  });

  test('places to try: beside every box, and at both selvages', () => {
    const into = new Float64Array(20);
    const bands = filled([
      [10, 0, 30, 20],
      [40, 0, 25, 5],
    ]);
    const places = new Set(into.subarray(0, bands.placesFor(20, 0, WIDTH, into)));
    // After the left selvage and the ends at 40 and 65; before the right selvage and the starts at 10 (no room) and 40.
    expect([...places].sort((a, b) => a - b)).toEqual([0, 20, 40, 65, 80]);
  });

  test('touching is the length of the edge along others, the selvages and the end', () => {
    const bands = filled([
      [0, 0, 30, 20],
      [60, 0, 40, 10],
    ]);
    // A box of 30 by 10 on the ground between the two: 30 below, 10 at each side.
    expect(bands.touching(30, 0, profile(30, 10))).toBe(50);
    // On the second, in the right corner of the cloth: 40 below, 5 along the selvage.
    expect(bands.touching(60, 10, profile(40, 5))).toBe(45);
    // One that hangs free beside the first touches it along 8 of its height.
    expect(bands.touching(30, 12, profile(10, 20))).toBe(8);
  });

  test('flaws are in the way, even where they lie over each other', () => {
    const bands = filled([], 5, Infinity, [
      [0, 10, 60, 20],
      [40, 10, 100, 20],
    ]);
    expect(bands.lowestAt(0, profile(30, 10), 0, Infinity, 0, 0)).toBe(0);
    expect(bands.lowestAt(0, profile(30, 11), 0, Infinity, 0, 0)).toBe(20);
    const narrow = filled([], 5, Infinity, [
      [0, 10, 60, 20],
      [40, 10, 60, 20],
    ]);
    expect(narrow.lowestAt(60, profile(40, 15), 0, Infinity, 0, 0)).toBe(0);
  });
});

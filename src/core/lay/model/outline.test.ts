import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { boxesOutside, boxesWithin, doubleArea, girthIfConvex, turnOutline, type Point } from './outline';

/** Simple outlines: corners round a middle, each direction once. */
const ringArb = fc
  .tuple(
    fc.array(fc.integer({ min: 2000, max: 9000 }), { minLength: 3, maxLength: 12 }),
    fc.integer({ min: 0, max: 359 }),
  )
  .map(([reaches, turn]) =>
    reaches.map((reach, i): Point => {
      const angle = ((turn + (360 * i) / reaches.length) * Math.PI) / 180;
      return [Math.round(10_000 + reach * Math.cos(angle)), Math.round(10_000 + reach * Math.sin(angle))];
    }),
  );
const spotArb = fc.tuple(fc.integer({ min: 1, max: 19_998 }), fc.integer({ min: 1, max: 19_998 }));

/** By counting crossings of a ray; half a nanometre aside, so that it meets no corner. */
function isInside(ring: readonly Point[], x: number, y: number): boolean {
  let inside = false;
  ring.forEach(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length]!;
    if (ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay)) inside = !inside;
  });
  return inside;
}
const covers = (boxes: readonly (readonly [number, number, number, number])[], x: number, y: number) =>
  boxes.some(([x0, y0, x1, y1]) => x > x0 && x < x1 && y > y0 && y < y1);
const areaOf = (boxes: readonly (readonly [number, number, number, number])[]) =>
  boxes.reduce((sum, [x0, y0, x1, y1]) => sum + (x1 - x0) * (y1 - y0), 0);

describe('a length of odd shape', () => {
  test('boxes cover all that lies outside, and of the inside only what slanted edges take in a slab', () => {
    fc.assert(
      fc.property(ringArb, fc.array(spotArb, { minLength: 20, maxLength: 20 }), (ring, spots) => {
        const boxes = boxesOutside(ring, 0, 20_000, 20_000);
        for (const [x, y] of spots.map(([sx, sy]) => [sx + 0.5, sy + 0.5] as const))
          if (!isInside(ring, x, y) && !boxes.some(([, y0, , y1]) => y0 === y || y1 === y))
            expect(covers(boxes, x, y)).toBe(true);
        for (const [x0, y0, x1, y1] of boxes)
          expect(x1 > x0 && y1 > y0 && x0 >= 0 && x1 <= 20_000 && y0 >= 0 && y1 <= 20_000).toBe(true);
        const lost = areaOf(boxes) - (20_000 ** 2 - Math.abs(doubleArea(ring)) / 2);
        expect(lost).toBeGreaterThanOrEqual(-1);
        // An edge takes at most its run across, and a nanometre, in slabs of a 96th of the height.
        const ys = ring.map(([, y]) => y);
        const slab = Math.ceil((Math.max(...ys) - Math.min(...ys)) / 96) + 1;
        const runs = ring.reduce((sum, [x], i) => sum + Math.abs(x - ring[(i + 1) % ring.length]![0]), 0);
        expect(lost).toBeLessThanOrEqual(slab * runs + 2 * ring.length * 20_000);
      }),
    );
  });

  test('boxes within cover all that lies inside', () => {
    fc.assert(
      fc.property(ringArb, fc.array(spotArb, { minLength: 20, maxLength: 20 }), (ring, spots) => {
        const boxes = boxesWithin(ring);
        for (const [x, y] of spots.map(([sx, sy]) => [sx + 0.5, sy + 0.5] as const))
          if (isInside(ring, x, y)) expect(covers(boxes, x, y)).toBe(true);
        expect(areaOf(boxes)).toBeGreaterThanOrEqual(Math.abs(doubleArea(ring)) / 2 - 1);
      }),
    );
  });

  test('a rectangle has nothing outside but what is beside, below and beyond it', () => {
    const ring: Point[] = [
      [2, 3],
      [10, 3],
      [10, 9],
      [2, 9],
    ];
    const boxes = boxesOutside(ring, 0, 12, 20);
    expect(areaOf(boxes)).toBe(12 * 20 - 8 * 6);
    expect(
      boxesOutside(
        [
          [0, 0],
          [12, 0],
          [12, 20],
          [0, 20],
        ],
        0,
        12,
        20,
      ),
    ).toEqual([]);
    expect(areaOf(boxesWithin(ring))).toBe(8 * 6);
  });
});

test('the area is positive counter-clockwise, and stays when an outline is turned, four times back to itself', () => {
  fc.assert(
    fc.property(ringArb, (ring) => {
      expect(doubleArea(ring)).toBeGreaterThan(0);
      expect(doubleArea([...ring].reverse())).toBe(-doubleArea(ring));
      let turned = turnOutline(ring, 0);
      const first = turned;
      for (let i = 0; i < 4; i++) {
        turned = turnOutline(turned, 90);
        expect(doubleArea(turned)).toBe(doubleArea(ring));
        expect([Math.min(...turned.map(([x]) => x)), Math.min(...turned.map(([, y]) => y))]).toEqual([0, 0]);
      }
      expect(turned).toEqual(first);
      expect(turnOutline(turnOutline(ring, 180), 90)).toEqual(turnOutline(ring, 270));
    }),
  );
});

test('the girth is known of what has no corner that turns inwards', () => {
  expect(
    girthIfConvex([
      [0, 0],
      [3, 0],
      [3, 4],
    ]),
  ).toBe(12);
  expect(
    girthIfConvex([
      [0, 0],
      [0, 4],
      [3, 4],
      [3, 0],
    ]),
  ).toBe(14);
  // A corner in the middle of an edge turns neither way.
  expect(
    girthIfConvex([
      [0, 0],
      [2, 0],
      [3, 0],
      [3, 4],
    ]),
  ).toBe(12);
  expect(
    girthIfConvex([
      [0, 0],
      [4, 0],
      [4, 4],
      [2, 1],
      [0, 4],
    ]),
  ).toBeNull();
});

import ClipperLib from 'clipper-lib';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches, NM } from '../length';
import { offsetOutline, perimeterOf } from './outline';

import { areaOf, codes, cover, notion, sizes } from './testing';

// Check values are common practice of the trade, no source, unless a test says otherwise.

describe('traced outlines', () => {
  test('a square grows by the allowance on all sides, whichever way it was traced', () => {
    const square = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ].map(([x, y]) => [inches(x!), inches(y!)] as [number, number]);
    for (const ring of [square, [...square].reverse()]) {
      const grown = offsetOutline(ring, inches(1)).map(([x, y]) => [x / NM.in, y / NM.in].join());
      expect(new Set(grown)).toEqual(new Set(['0,0', '12,0', '12,12', '0,12']));
    }
  });

  test('every corner of the form is at least the allowance inside, and the area grows as the perimeter says', () => {
    // A convex ring offset by d with mitred corners gains at least perimeter * d (Steiner's formula for convex bodies).
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 24 }),
        fc.integer({ min: 4, max: 20 }),
        fc.integer({ min: 1, max: 8 }),
        (corners, radius, eighths) => {
          const ring = Array.from({ length: corners }, (_, i) => {
            const angle = (2 * Math.PI * i) / corners;
            return [inches(radius + radius * Math.cos(angle)), inches(radius + radius * Math.sin(angle))] as [
              number,
              number,
            ];
          });
          const d = inches(eighths / 8);
          const area = (one: [number, number][]) => Math.abs(ClipperLib.Clipper.Area(one.map(([X, Y]) => ({ X, Y }))));
          const gained = area(offsetOutline(ring, d)) - area(ring);
          expect(gained).toBeGreaterThanOrEqual(perimeterOf(ring) * d * 0.9999);
          expect(gained).toBeLessThan(perimeterOf(ring) * d + 4 * Math.PI * d * d);
        },
      ),
    );
  });
});

describe('round covers: what runs round a disc is pi times its diameter (field standard)', () => {
  test('a 16 in round cushion, s 1/2: discs of 17, run 50.265, strip 6 and cord 2 longer', () => {
    const one = cover('round-cushion', { diameter: 16, thickness: 3 }, { options: { piping: 'both' } });
    expect(sizes(one).top).toEqual([1, 17, 17]);
    const piping = one.strips.find(({ name }) => name === 'piping')!;
    expect(piping.length / NM.in).toBeCloseTo(Math.PI * 16 + 6, 6);
    expect(notion(one, 'piping cord')!.length! / NM.in).toBeCloseTo(Math.PI * 16 + 2, 6);
    expect(one.strips.find(({ name }) => name === 'boxing')).toMatchObject({ width: inches(4) });
    // Boxing and zip panel close the ring: each loses a seam allowance at both ends.
    const [boxing, panel] = [one.strips[0]!.length, one.pieces[2]!.across];
    expect((boxing + panel - 4 * inches(0.5)) / NM.in).toBeCloseTo(Math.PI * 16, 6);
  });

  test('the disc is never smaller than the circle and fills its box', () => {
    const { outline } = cover('round-cushion', { diameter: 16, thickness: 3 }).pieces[0]!;
    const area = areaOf(outline!) / NM.in ** 2;
    expect(area).toBeGreaterThanOrEqual(Math.PI * 8.5 ** 2);
    expect(area).toBeLessThan(Math.PI * 8.5 ** 2 * 1.002);
    for (const at of [0, 1]) {
      expect(Math.min(...outline!.map((corner) => corner[at]!))).toBe(0);
      expect(Math.max(...outline!.map((corner) => corner[at]!))).toBe(inches(17));
    }
  });

  test('a bolster of 8 by 30: tube 31 by 8 pi + 1, ends of 9, zip 26 down to a stock length', () => {
    const one = cover('bolster', { diameter: 8, length: 30 });
    expect(sizes(one).end).toEqual([2, 9, 9]);
    expect(one.pieces[0]!.across).toBe(inches(31));
    expect(one.pieces[0]!.along / NM.in).toBeCloseTo(8 * Math.PI + 1, 6);
    expect(notion(one, 'zip')!.length).toBe(inches(24));
    expect(
      codes(cover('bolster', { diameter: 8, length: 30 }, { options: { piping: 'ends', grain: 'straight' } })),
    ).toContain('straight-on-curve');
  });
});

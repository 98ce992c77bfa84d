import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { NM } from '@/core/length';
import { attributes, markup, numbersOf } from '../testing/markup';
import { ClothPattern, ClothSwatch } from './cloth-pattern';
import { tileOf, type ClothLook } from './cloth-shapes';

const PATTERNS = ['plain', 'stripe', 'band', 'leaf', 'diamond', 'wheel', 'check'] as const;
const look = (part: Partial<ClothLook> = {}): ClothLook => ({
  pattern: 'leaf',
  ground: '#eee',
  figure: '#246',
  repeatAcross: 200 * NM.mm,
  repeatAlong: 150 * NM.mm,
  drop: 0,
  motif: [0, 0],
  ...part,
});
const drawn = (of: ClothLook, lying = false) =>
  markup(
    <svg>
      <ClothPattern id="p" look={of} lying={lying} />
    </svg>,
  );

describe('what repeats', () => {
  test('is one repeat, true to size in millimetres', () => {
    expect(tileOf(look())).toMatchObject({ width: 200, height: 150 });
  });

  test.each([
    [0.5, 2],
    [1 / 3, 3],
    [0.25, 4],
    [2 / 3, 3],
    [0.2, 5],
  ])('with a drop of %d comes round after %d columns', (drop, columns) => {
    expect(tileOf(look({ drop }))).toMatchObject({ width: 200 * columns, height: 150 });
  });

  test('a stripe has no repeat along, a band none across: the other one stands for both', () => {
    expect(tileOf(look({ pattern: 'stripe', repeatAlong: 0 }))).toMatchObject({ width: 200, height: 200 });
    expect(tileOf(look({ pattern: 'band', repeatAcross: 0 }))).toMatchObject({ width: 150, height: 150 });
    expect(tileOf(look({ pattern: 'plain', repeatAcross: 0, repeatAlong: 0 })).width).toBeGreaterThan(0);
  });

  test('a motif that lies over the edge of the tile lies over the other edge too', () => {
    const { shapes, width, height } = tileOf(look({ drop: 0.5 }));
    const at = shapes.slice(1).map(({ transform: [, , , , x, y] }) => [x, y] as const);
    for (const [x, y] of at) {
      // Its twin a tile further on, either way, covers the same cloth.
      const isCovered = (dx: number, dy: number) =>
        at.some(([a, b]) => Math.abs(a - x - dx) < 1e-9 && Math.abs(b - y - dy) < 1e-9);
      if (x < 0) expect(isCovered(width, 0)).toBe(true);
      if (y < 0) expect(isCovered(0, height) || y < -height).toBe(true);
    }
  });

  test('a picture of one repeat is laid as its motifs would be, and they are not drawn', () => {
    const { shapes, photos } = tileOf(look({ photo: '/cloth/3/photo/1', drop: 0.5 }));
    expect(shapes).toHaveLength(1);
    expect(photos.every(({ width, height }) => width === 200 && height === 150)).toBe(true);
    expect(attributes(drawn(look({ photo: '/cloth/3/photo/1' })), 'href')).toContain('/cloth/3/photo/1');
  });
});

describe('drawn', () => {
  test.each(PATTERNS)('%s has only numbers, whatever its repeat and drop', (pattern) => {
    const repeat = fc.integer({ min: 0, max: 900 }).map((mm) => mm * NM.mm);
    fc.assert(
      fc.property(
        repeat,
        repeat,
        fc.double({ min: 0, max: 1, noNaN: true, maxExcluded: true }),
        fc.boolean(),
        (repeatAcross, repeatAlong, drop, lying) => {
          const html = drawn(look({ pattern, repeatAcross, repeatAlong, drop, motif: [3 * NM.mm, 5 * NM.mm] }), lying);
          expect(numbersOf(html).filter((one) => !Number.isFinite(one))).toEqual([]);
          expect(Number(attributes(html, 'width')[0])).toBeGreaterThan(0);
        },
      ),
      { numRuns: tries(40) },
    );
  });

  test('lying, the cloth’s along runs to the right: its axes are swapped, its motif with them', () => {
    const of = look({ motif: [30 * NM.mm, 70 * NM.mm] });
    expect(attributes(drawn(of), 'patternTransform')).toEqual(['translate(30 70)']);
    expect(attributes(drawn(of, true), 'patternTransform')).toEqual(['matrix(0 1 1 0 70 30)']);
  });

  test('a swatch shows at least two repeats, and 40 cm of a small pattern', () => {
    const side = (of: ClothLook) =>
      Number(attributes(markup(<ClothSwatch id="s" look={of} />), 'viewBox')[0]!.split(' ')[2]);
    expect(side(look())).toBeCloseTo(440, 9);
    expect(side(look({ repeatAlong: 640 * NM.mm }))).toBeGreaterThanOrEqual(2 * 640);
    expect(side(look({ repeatAcross: 20 * NM.mm, repeatAlong: 20 * NM.mm }))).toBe(400);
  });
});

import { describe, expect, test } from 'vitest';
import type { Point } from '../lay';
import { insetRing } from './inset-ring';

const SQUARE: Point[] = [
  [0, 0],
  [100, 0],
  [100, 80],
  [0, 80],
];
const sorted = (ring: readonly Point[]) =>
  ring.map((point) => point.map((at) => Math.round(at * 1e6) / 1e6).join(' ')).sort();

describe('where a piece is sewn', () => {
  test('a rectangle, whichever way round its corners come', () => {
    const wanted = ['10 10', '10 70', '90 10', '90 70'];
    expect(sorted(insetRing(SQUARE, 10)!)).toEqual(wanted);
    expect(sorted(insetRing([...SQUARE].reverse(), 10)!)).toEqual(wanted);
  });

  test('an ell keeps its inner corner as far away as its outer ones', () => {
    const ell: Point[] = [
      [0, 0],
      [100, 0],
      [100, 40],
      [40, 40],
      [40, 100],
      [0, 100],
    ];
    expect(sorted(insetRing(ell, 5)!)).toEqual(
      sorted([
        [5, 5],
        [95, 5],
        [95, 35],
        [35, 35],
        [35, 95],
        [5, 95],
      ]),
    );
  });

  test('a right triangle by its own geometry: legs 30 and 40, so that the inset of 5 leaves half of it', () => {
    // The incircle of a 3-4-5 triangle of this size has a radius of 10; an inset by 5 is the triangle at half size.
    const inset = insetRing(
      [
        [0, 0],
        [40, 0],
        [0, 30],
      ],
      5,
    )!;
    expect(sorted(inset)).toEqual(['25 5', '5 20', '5 5']);
  });

  test('more than there is leaves nothing', () => {
    expect(insetRing(SQUARE, 41)).toBeNull();
    expect(
      insetRing(
        [
          [0, 0],
          [1, 0],
          [2, 0],
        ],
        1,
      ),
    ).toBeNull();
  });
});

// Where a piece can be cut again: nearest to the end, clear of what is blocked, on the same place of the pattern.
import { expect, test } from 'vitest';
import fc from 'fast-check';
import { tries } from '@/bench/tries';
import { phaseOf, type Lattice } from '../cloth';
import type { StockLength } from '../lay';
import { phaseOfCorner, recutPlace, type PieceAgain } from './recut-place';

const stock = (rest: Partial<StockLength> = {}): StockLength => ({
  id: 'R1',
  length: 1000,
  left: 10,
  right: 510,
  motif: [0, 0],
  flaws: [],
  outline: null,
  ...rest,
});
const piece = (rest: Partial<PieceAgain> = {}): PieceAgain => ({
  width: 200,
  height: 300,
  mayTurn: false,
  phase: null,
  ...rest,
});

test('lies in the corner of a plain length', () => {
  expect(recutPlace(piece(), stock(), 1000, null)).toEqual({
    x: 10,
    y: 0,
    isTurned: false,
    width: 200,
    height: 300,
    length: 300,
  });
});

test('turns where it may and that takes less', () => {
  expect(recutPlace(piece({ mayTurn: true }), stock(), 1000, null)).toMatchObject({ isTurned: true, length: 200 });
  expect(recutPlace(piece(), stock({ right: 200 }), 1000, null), 'too wide without a turn').toBeNull();
});

test('lies beside a flaw, or behind it', () => {
  expect(recutPlace(piece(), stock({ flaws: [[0, 0, 100, 50]] }), 1000, null)).toMatchObject({ x: 100, y: 0 });
  expect(recutPlace(piece(), stock({ flaws: [[0, 0, 510, 50]] }), 1000, null)).toMatchObject({ x: 10, y: 50 });
  expect(recutPlace(piece(), stock({ flaws: [[0, 0, 510, 50]] }), 340, null)).toBeNull();
});

test('keeps within a shaped remnant', () => {
  // An L: 500 wide up to 200, then only its left 250 up to 600.
  const outline: [number, number][] = [
    [10, 0],
    [510, 0],
    [510, 200],
    [260, 200],
    [260, 600],
    [10, 600],
  ];
  expect(recutPlace(piece(), stock({ outline, length: 600 }), 600, null)).toMatchObject({ x: 10, y: 0 });
  expect(recutPlace(piece({ width: 300, height: 300 }), stock({ outline, length: 600 }), 600, null)).toBeNull();
});

const LATTICE: Lattice = { across: 120, along: 90, shift: 45 };

test('shows the same place of the pattern, wherever that lies on the cloth; against trying every place', () => {
  fc.assert(
    fc.property(
      fc.nat(119),
      fc.nat(89),
      fc.nat(119),
      fc.nat(89),
      fc.integer({ min: 20, max: 400 }),
      fc.integer({ min: 20, max: 400 }),
      fc.option(fc.tuple(fc.nat(400), fc.nat(500), fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 }))),
      (px, py, mx, my, width, height, flaw) => {
        const phase = phaseOf(px, py, LATTICE);
        const length = stock({
          motif: [mx, my],
          length: 600,
          flaws: flaw ? [[flaw[0], flaw[1], flaw[0] + flaw[2], flaw[1] + flaw[3]]] : [],
        });
        const found = recutPlace(piece({ width, height, phase }), length, 600, LATTICE);
        const isFree = (x: number, y: number) =>
          length.flaws.every(([x0, y0, x1, y1]) => x + width <= x0 || x >= x1 || y + height <= y0 || y >= y1);
        let best: number | null = null;
        for (let x = 10; x + width <= 510; x++)
          for (let y = 0; y + height <= 600; y++) {
            const [ax, ay] = phaseOfCorner(x, y, length.motif, LATTICE);
            if (ax === phase[0] && ay === phase[1] && isFree(x, y)) best = best === null ? y : Math.min(best, y);
          }
        if (found) {
          expect(phaseOfCorner(found.x, found.y, length.motif, LATTICE)).toEqual(phase);
          expect(isFree(found.x, found.y)).toBe(true);
          expect([found.x >= 10, found.x + width <= 510, found.y + height <= 600]).toEqual([true, true, true]);
        }
        expect(found?.y ?? null).toBe(best);
      },
    ),
    { numRuns: tries(60) },
  );
});

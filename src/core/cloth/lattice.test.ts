import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { latticeOf, nextAcross, nextAlong, phaseOf, usableWidth } from './index';
import { NM } from '../length';

const lattices = fc.record({
  across: fc.constantFrom(0, 13.5 * NM.in, 320 * NM.mm),
  along: fc.constantFrom(0, 12.5 * NM.in, 640 * NM.mm),
  drop: fc.constantFrom(0, 0.5, 0.25, 1 / 3),
});

describe('the lattice', () => {
  test('a cloth without a repeat has none', () => {
    expect(latticeOf(null)).toBeNull();
    expect(latticeOf({ across: 0, along: 0, drop: 0 })).toBeNull();
  });

  test('a half drop: the next column is half a repeat on', () => {
    const lattice = latticeOf({ across: 10, along: 8, drop: 0.5 })!;
    expect(phaseOf(10, 4, lattice)).toEqual([0, 0]);
    expect(phaseOf(20, 8, lattice)).toEqual([0, 0]);
    expect(phaseOf(10, 0, lattice)).toEqual([0, 4]);
    expect(phaseOf(-10, 4, lattice)).toEqual([0, 0]);
  });

  test('points that differ by a lattice vector have the same phase, others have not', () => {
    fc.assert(
      fc.property(
        lattices,
        fc.integer({ min: -9, max: 9 }),
        fc.integer({ min: -9, max: 9 }),
        fc.nat(1e10),
        fc.nat(1e10),
        (repeat, i, j, x, y) => {
          const lattice = latticeOf(repeat);
          if (!lattice) return;
          const moved = phaseOf(
            x + i * lattice.across,
            y + i * lattice.shift * (lattice.across ? 1 : 0) + j * lattice.along,
            lattice,
          );
          expect(moved).toEqual(phaseOf(x, y, lattice));
          if (lattice.along) expect(phaseOf(x, y + 1, lattice)).not.toEqual(phaseOf(x, y, lattice));
          if (lattice.across) expect(phaseOf(x + 1, y, lattice)).not.toEqual(phaseOf(x, y, lattice));
        },
      ),
    );
  });

  test('the next place at or after a point is on its phase and less than a repeat away', () => {
    fc.assert(
      fc.property(lattices, fc.nat(1e10), fc.nat(1e10), fc.nat(1e10), fc.nat(1e10), (repeat, px, py, x, y) => {
        const lattice = latticeOf(repeat);
        if (!lattice) return;
        const phase = phaseOf(px, py, lattice);
        const atX = nextAcross(x, phase[0], lattice);
        const atY = nextAlong(atX, y, phase, lattice);
        expect(phaseOf(atX, atY, lattice)).toEqual([lattice.across ? phase[0] : 0, phase[1]]);
        expect(atX - x).toBeGreaterThanOrEqual(0);
        expect(atX - x).toBeLessThan(lattice.across || 1);
        expect(atY - y).toBeGreaterThanOrEqual(0);
        expect(atY - y).toBeLessThan(lattice.along || 1);
      }),
    );
  });
});

test('the usable width lies between the selvages', () => {
  expect(usableWidth({ width: 54 * NM.in, selvage: [0.5 * NM.in, 0.5 * NM.in] })).toBe(53 * NM.in);
});

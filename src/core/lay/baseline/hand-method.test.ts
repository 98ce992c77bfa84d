import { describe, expect, test } from 'vitest';
import { NM } from '../../length';
import { lowerBound } from '../bounds/bounds';
import { handLength } from './hand-method';
import { allOf, jobOf } from '../testing';

// Lengths of a practised cutter: worked by hand. Common practice, no source.

const hand = (rest: object) => handLength(jobOf(rest)) / NM.in;
const plain = { cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'any' } };

describe('the hand method', () => {
  test('rows look back: a small piece goes into the first row that still has room beside it', () => {
    // 30 + 20 abreast, 30 deep; 40 deep 20 alone beside nothing: the last 12 x 12 goes beside the first row.
    const pieces = [
      { id: 'a', size: [30, 40] },
      { id: 'b', size: [40, 30] },
      { id: 'c', size: [20, 25] },
    ];
    expect(hand({ pieces, cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'half' } })).toBe(70);
  });

  test('each part either way round where it may, the shorter lay of the long sides across or along', () => {
    // Across: 40 x 13 three rows, 39; along: 13 wide, four abreast, 40 long.
    expect(hand({ ...plain, pieces: [{ id: 'a', size: [13, 40], qty: 3 }] })).toBe(39);
    // Eight of them: across 8 rows of 13, 104; along two rows of four, 80.
    expect(hand({ ...plain, pieces: [{ id: 'a', size: [13, 40], qty: 8 }] })).toBe(80);
  });

  test('two piping strips of 116 by 1 1/2 take less than a yard: no block of the whole width, two yards long', () => {
    const strips = [{ id: 'cord', width: 1.5, length: 116, grain: 'bias', loss: 1.5, qty: 2 }];
    // At most the tube of both, sqrt(232 x 1 1/2) = 18.66 in square (common practice: side = sqrt(length x width)); at least a block
    // whose slanting cuts are a foot long.
    expect(hand({ strips })).toBeLessThanOrEqual(Math.sqrt(232 * 1.5) + 1e-3);
    expect(hand({ strips })).toBeGreaterThanOrEqual(12 / Math.SQRT2);
  });

  test('a bias block beside the pieces takes no length of its own', () => {
    const strips = [{ id: 'cord', width: 1.5, length: 116, grain: 'bias', loss: 1.5, qty: 1 }];
    expect(hand({ pieces: [{ id: 'a', size: [30, 30] }], strips })).toBe(30);
  });

  test('strips across in full widths first; the rest, a foot at least, where a row has room', () => {
    // 160 with a join of 1 1/2: 53 + 53 + 53 + 5 1/2, of which nobody cuts under a foot: four cuts of 2 deep.
    const strips = [{ id: 'border', width: 2, length: 160, grain: 'across', loss: 1.5, qty: 1 }];
    expect(hand({ strips })).toBe(8);
    expect(hand({ pieces: [{ id: 'a', size: [40, 20] }], strips })).toBe(26);
  });

  test('matched pieces wait for their repeat', () => {
    const cloth = {
      name: 't',
      width: 54,
      selvage: [0.5, 0.5],
      turns: 'none',
      repeat: { across: 0, along: 12, drop: 0 },
    };
    const pieces = [{ id: 'a', size: [40, 13], qty: 3, match: { anchor: [0, 0], group: 'g' } }];
    // 13, then up to 24, to 48: the last ends at 61.
    expect(hand({ cloth, pieces })).toBe(61);
  });

  test('never under what is proven to be needed', () => {
    for (const turns of ['any', 'half'])
      for (let seed = 1; seed < 30; seed++) {
        const pieces = Array.from({ length: 9 }, (_, i) => ({
          id: `${i}`,
          size: [3 + ((seed * 7 + i * 11) % 40), 2 + ((seed * 5 + i * 3) % 30)],
        }));
        const job = jobOf({ cloth: { ...plain.cloth, turns }, pieces });
        expect(handLength(job)).toBeGreaterThanOrEqual(lowerBound(job, allOf(job)));
      }
  });
});

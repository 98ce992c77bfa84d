import { describe, expect, test } from 'vitest';
import { NM } from '../../length';
import { barBound, lowerBound } from './bounds';
import { findFaults } from '../index';
import { barRelaxation, mostAbreast } from './bar-relaxation';
import { allOf, jobOf, lay, provenBound } from '../testing';

describe('the bound', () => {
  const boundOf = (rest: object) => {
    const job = jobOf(rest);
    return lowerBound(job, allOf(job)) / NM.in;
  };

  test('area, tallest, and what can’t lie side by side', () => {
    expect(boundOf({ pieces: [{ id: 'a', size: [26.5, 10], qty: 4 }] })).toBeCloseTo(20, 6);
    expect(boundOf({ pieces: [{ id: 'a', size: [2, 70] }] })).toBeCloseTo(70, 6);
    expect(boundOf({ pieces: [{ id: 'a', size: [27, 10], qty: 3 }] })).toBeCloseTo(30, 6);
    // Widths of 27 and 26 can pair, two of 27 can't.
    expect(
      boundOf({
        pieces: [
          { id: 'a', size: [27, 10], qty: 2 },
          { id: 'b', size: [26, 10], qty: 1 },
        ],
      }),
    ).toBeCloseTo(20, 6);
  });

  test('three widths of 20 in a 53 cloth: two abreast at most', () => {
    expect(boundOf({ pieces: [{ id: 'a', size: [20, 9], qty: 6 }] })).toBeCloseTo(27, 6);
  });

  describe('of pieces that the pattern keeps from lying beside each other', () => {
    const cloth = { name: 't', width: 45, selvage: [0.5, 0.5], turns: 'none' };
    const cover = (size: number[], qty: number, match: object) => ({ id: `c${size.join('x')}`, size, qty, match });

    test.each([
      // The second of two 21 in wide ones begins 24 in beside the first: 45 of 44 in. One behind the other they begin 22 in apart.
      ['one group', { across: 12, along: 11 }, [cover([21, 21], 6, { group: 'g' })], 5 * 22 + 21],
      // The first of them waits for its phase, too.
      ['fixed', { across: 12, along: 11 }, [cover([21, 21], 6, { at: [3, 4] })], 4.5 + 5 * 22 + 21],
      // 14.5 in and 7.5 in fill two repeats, when the one begins where the other ends.
      [
        'one group of two kinds',
        { across: 12, along: 11 },
        [
          cover([21, 14.5], 3, { group: 'g', anchor: [0, 0], delta: [0, 0] }),
          cover([21, 7.5], 3, { group: 'g', anchor: [0, 0], delta: [0, 14.5] }),
        ],
        66,
      ],
      // In the next column the pattern comes half a repeat further: 5 in high ones follow each other in 6 in.
      ['half drop', { across: 8, along: 12, drop: 0.5 }, [cover([30, 5], 6, { group: 'g' })], 5 * 6 + 5],
      // An anchor ten repeats off the piece.
      [
        'half drop, far off',
        { across: 8, along: 12, drop: 0.5 },
        [
          cover([30, 5], 1, { group: 'g', anchor: [0, 0] }),
          cover([29, 5], 1, { group: 'g', anchor: [80, 0], delta: [0, 6] }),
        ],
        5 + 1 + 5,
      ],
      // Straight they wait for the next repeat.
      ['straight match', { across: 8, along: 12 }, [cover([30, 5], 6, { group: 'g' })], 5 * 12 + 5],
      // No repeat across: two lie beside each other, on one height.
      ['along only', { across: 0, along: 11 }, [cover([21, 21], 6, { group: 'g' })], 63],
      // No repeat along: one behind the other without waste.
      ['across only', { across: 12, along: 0 }, [cover([21, 20], 6, { group: 'g' })], 120],
      // Pieces in no group, or in another, only have to be too wide.
      [
        'two groups',
        { across: 12, along: 11 },
        [cover([23, 21], 2, { group: 'g' }), cover([23, 20], 1, { group: 'h' })],
        62,
      ],
    ])('%s', (_, repeat, pieces, inches) => {
      const job = { cloth: { ...cloth, repeat }, pieces };
      expect(boundOf(job)).toBeCloseTo(inches, 6);
      // The lay needs no more, but where rows wait for the pattern, too.
      const { used } = lay(jobOf(job), 300);
      expect(used / NM.in).toBeGreaterThanOrEqual(inches - 1e-4);
      expect(used / NM.in).toBeLessThanOrEqual(inches + 2 + 1e-4);
    });

    test('one behind the other they have all of the gap between them', () => {
      // Beside each other 24 in and 21.9 in are too wide even without it.
      const repeat = { across: 12, along: 0 };
      const job = { cloth: { ...cloth, repeat }, gap: 0.5, pieces: [cover([21.9, 20], 4, { group: 'g' })] };
      expect(boundOf(job)).toBeCloseTo(4 * 20.5 - 0.5, 6);
      expect(lay(jobOf(job), 300).used / NM.in).toBeCloseTo(4 * 20.5 - 0.5, 4);
    });

    test('on each length of several the last one waits for nothing', () => {
      const pieces = [cover([21, 21], 6, { group: 'g' })];
      const stock = [{ id: 'a', length: 45 }, { id: 'b' }];
      const job = { cloth: { ...cloth, repeat: { across: 12, along: 11 } }, stock, pieces };
      expect(boundOf(job)).toBeCloseTo(6 * 22 - 2, 6);
      expect(lay(jobOf(job), 300).used / NM.in).toBeCloseTo(6 * 22 - 2, 4);
    });
  });

  test('of outlines only their area and height count: two triangles share a box', () => {
    const pieces = [
      {
        id: 't',
        outline: [
          [0, 0],
          [40, 0],
          [0, 20],
        ],
        qty: 2,
      },
    ];
    expect(boundOf({ pieces })).toBeCloseTo(20, 6);
    expect(boundOf({ pieces: [{ ...pieces[0], qty: 4 }] })).toBeCloseTo((4 * 400) / 53, 5);
  });

  test('counts strips by their area, with the joins that the width of the cloth asks for', () => {
    // The longest bias in 53 is 53 * sqrt 2 = 74.95: 500 take 7 cuts, hence 6 joins of 1: 506 * 1.06 / 53.
    expect(
      boundOf({ pieces: [], strips: [{ id: 's', width: 1.06, length: 500, grain: 'bias', loss: 1 }] }),
    ).toBeCloseTo(10.12, 6);
  });
});

describe('a gap', () => {
  const boundOf = (rest: object) => provenBound(jobOf(rest)) / NM.in;
  const cloth = { name: 't', width: 20, turns: 'none' };

  test('may lie slantwise, corner to corner: a lay by hand that is shorter than with all of it along the cloth', () => {
    // 0.2 in aside and 0.98 in further: sqrt(0.2² + 0.98²) = 1.0002 in from corner to corner.
    const job = jobOf({ cloth, gap: 1, pieces: [{ id: 'a', size: [9.9, 10], qty: 3 }] });
    const placed = [0, 10.1, 0].map((x, i) => ({
      piece: 'a',
      copy: i + 1,
      x: x * NM.in,
      y: i * 10.98 * NM.in,
      turn: 0,
    }));
    const used = 31.96 * NM.in;
    const plan = {
      lays: [{ stock: 'roll', used, placed, cuts: [] }],
      unplaced: [],
      used,
      endless: used,
      bound: 0,
      passes: 0,
      refused: 0,
    };
    expect(findFaults(job, plan)).toEqual([]);
    expect(provenBound(job)).toBeLessThanOrEqual(used);
    // Without a gap three of them take 20 in.
    expect(provenBound(job)).toBeGreaterThan(20 * NM.in);
  });

  test('counts round each rectangle with quarter circles at the corners', () => {
    const each = 4 * 3 + 0.5 * (4 + 3) + (Math.PI / 4) * 0.25;
    expect(boundOf({ cloth, gap: 0.5, pieces: [{ id: 'a', size: [4, 3], qty: 200 }] })).toBeGreaterThan(
      (200 * each) / 20.5 - 0.5 - 1e-6,
    );
  });

  test('counts round outlines: all that the formula of Steiner says where they are convex, never more than there is else', () => {
    const [area, girth, r, qty] = [14, 18, 0.25, 300];
    // A trapezoid of 6 and 2.5 by 4 in with sides of 4 and sqrt(3.5² + 4²) in.
    const trapezoid = [
      [0, 0],
      [6, 0],
      [2.5, 4],
      [0, 4],
    ];
    const slope = Math.hypot(3.5, 4);
    const round = 17 + (6 + 2.5 + 4 + slope) * r + Math.PI * r * r;
    expect(boundOf({ cloth, gap: 2 * r, pieces: [{ id: 't', outline: trapezoid, qty }] })).toBeCloseTo(
      (qty * round) / 20.5 - 0.5,
      4,
    );
    // An L: five corners with quarter circles, and one that turns inwards, where two edges have the same square beside them.
    const ell = [
      [0, 0],
      [5, 0],
      [5, 2],
      [2, 2],
      [2, 4],
      [0, 4],
    ];
    const beside = area + girth * r + (5 / 4) * Math.PI * r * r - r * r;
    const bound = boundOf({ cloth, gap: 2 * r, pieces: [{ id: 'l', outline: ell, qty }] });
    expect(bound).toBeLessThanOrEqual((qty * beside) / 20.5 - 0.5);
    expect(bound).toBeGreaterThan((qty * (area + 3 * r * Math.sqrt(area))) / 20.5 - 0.5);
  });

  test('lies at both long edges of every cut of a strip', () => {
    const strips = [{ id: 's', width: 1.5, length: 410, grain: 'across', qty: 2 }];
    expect(boundOf({ cloth, gap: 0.5, pieces: [], strips })).toBeCloseTo((2 * 2 * 410) / 20.5 - 0.5, 4);
    // The lay: 42 rows of 20 in.
    expect(lay(jobOf({ cloth, gap: 0.5, pieces: [], strips }), 60).used / NM.in).toBeCloseTo(42 * 2 - 0.5, 4);
  });
});

describe('the bound by lines across the cloth', () => {
  // In thousandths, so that rounding down to whole nanometres is small.
  const lines = (things: Parameters<typeof barRelaxation>[0], loose: number, length: number) =>
    barRelaxation(
      things.map(({ qty, ways }) => ({ qty, ways: ways.map((way) => ({ ...way, cover: 1000 * way.cover })) })),
      BigInt(1000 * loose),
      length,
    ) / 1000;
  const thing = (
    qty: number,
    side: number,
    cover: number,
    starts: { first: number; period: number } | null = null,
  ) => ({
    qty,
    ways: [{ side, cover, starts }],
  });

  test('sums on paper', () => {
    // Three of 3 abreast in 10: seven lines' worth in three.
    expect(lines([thing(7, 3, 30)], 0, 10)).toBeCloseTo(70, 1);
    // A 6 leaves 4, so every 6 takes a line of its own; the 4s go beside them.
    expect(lines([thing(4, 6, 50), thing(4, 4, 50)], 0, 10)).toBeCloseTo(200, 1);
    // With 5s instead none goes beside a 6: two 5s share a line.
    expect(lines([thing(4, 6, 50), thing(4, 5, 50)], 0, 10)).toBeCloseTo(300, 1);
    // Loose pieces fill what the 6s leave, 800; 200 more take 20.
    expect(lines([thing(4, 6, 50)], 800, 10)).toBeCloseTo(200, 1);
    expect(lines([thing(4, 6, 50)], 1000, 10)).toBeCloseTo(220, 1);
  });

  test('says nothing where as much is known already, and the same where less is', () => {
    const things = [{ qty: 7, ways: [{ side: 3, cover: 30_000, starts: null }] }];
    const bound = barRelaxation(things, 0n, 10);
    expect(bound / 1000).toBeCloseTo(70, 1);
    expect(barRelaxation(things, 0n, 10, 69_000)).toBe(bound);
    expect(barRelaxation(things, 0n, 10, 70_000)).toBe(0);
  });

  test('of what is narrower than a step of the line nothing is said, and the search goes on', () => {
    // 54 in are taken in 3,000 steps; 0.0113 in is less than one, and shares no length with the others.
    const pieces = [
      { id: 'thread', size: [0.0113, 7.0001], qty: 9 },
      { id: 'flap', size: [13.0007, 11.3], qty: 23 },
    ];
    const job = jobOf({ pieces, cut: 'free' });
    expect(barBound(job, allOf(job))).toBe(0);
    expect(findFaults(job, lay(job, 20))).toEqual([]);
    const side = 287_021;
    expect(mostAbreast([{ qty: 9, ways: [{ side, cover: 1000, starts: null }] }], 54 * NM.in)).toBe(4778);
  });

  test('a pattern keeps things apart', () => {
    // At 0 and 6 only: two 4s abreast; of 5s the second would end at 11.
    expect(lines([thing(6, 4, 20, { first: 0, period: 6 })], 0, 10)).toBeCloseTo(60, 1);
    expect(lines([thing(6, 5, 20, { first: 0, period: 6 })], 0, 10)).toBeCloseTo(120, 1);
  });

  test('on a cloth: squares that the pattern lets lie two abreast only, and what is too wide to go beside them', () => {
    // The third of 15.5 in squares on 53.75 in would begin 40 in beside the first and end at 55.5. Eight rows of two take 124 in, four
    // of 42 in lie behind them, 60 in; by their area all would take 118.4 in.
    const job = jobOf({
      cloth: { name: 'reed', width: 53.75, turns: 'none', repeat: { across: 10, along: 14, drop: 0.5 } },
      pieces: [
        { id: 'square', size: [15.5, 15.5], qty: 16, match: { anchor: [7.75, 0.5], at: [0, 0] } },
        { id: 'long', size: [42, 15], qty: 4 },
      ],
    });
    expect(barBound(job, allOf(job)) / NM.in).toBeCloseTo(184, 3);
  });

  test('on a cloth: covers of one group lie three abreast by their width, two abreast by their pattern', () => {
    // They begin 20 in beside each other, so the third would end at 55.5; what is free fills 18.25 in beside two of them at most.
    const group = (qty: number, rest: object = {}) =>
      jobOf({
        cloth: { name: 'reed', width: 53.75, turns: 'none', repeat: { across: 10, along: 0, drop: 0 } },
        pieces: [{ id: 'cover', size: [15.5, 15.5], qty, match: { anchor: [0, 0], group: 'covers' } }],
        ...rest,
      });
    expect(barBound(group(16), allOf(group(16))) / NM.in).toBeCloseTo(124, 3);
    // On two lengths as well, be the one narrower: each line is on one of them.
    const two = group(16, { stock: [{ id: 'end', length: 40, width: 50 }, { id: 'bolt' }] });
    expect(barBound(two, allOf(two)) / NM.in).toBeCloseTo(124, 3);
    const other = { ...group(16), lattice: null };
    expect(barBound(other, allOf(other)) / NM.in).toBeCloseTo((16 / 3) * 15.5, 3);
  });

  describe('on a cloth, of rows that wait for the pattern', () => {
    const inches = (cloth: object, pieces: object[], rest: object = {}) => {
      const job = jobOf({ cloth: { name: 'reed', turns: 'none', ...cloth }, pieces, ...rest });
      const bound = provenBound(job) / NM.in;
      // No lay is shorter.
      expect(lay(job, 300).used / NM.in).toBeGreaterThanOrEqual(bound - 1e-6);
      return bound;
    };
    const repeat = { across: 12, along: 11, drop: 0 };

    test('sixteen of one group two abreast: eight rows, each 22 in behind the other', () => {
      // The second of 21 in wide ones begins 24 in beside the first, and a third would end at 69; the last row waits for nothing.
      const cover = { id: 'cover', size: [21, 14.5], qty: 16, match: { group: 'covers' } };
      expect(inches({ width: 58, repeat }, [cover])).toBeCloseTo(7 * 22 + 14.5, 6);
      // One more begins a row of its own.
      expect(inches({ width: 58, repeat }, [{ ...cover, qty: 17 }])).toBeCloseTo(8 * 22 + 14.5, 6);
    });

    test('fixed where the pattern stands on the cloth there may be no room beside, though two repeats would do', () => {
      // The first begins 20.75 in from the edge, the next one 47.75 in, and ends at 60.25. Motifs are 12 in apart, the first has its corner at 5.75.
      const cover = { id: 'cover', size: [12.5, 12.5], qty: 24, match: { anchor: [6.25, 6.25], at: [0, 0] } };
      const cloth = { width: 58, repeat: { across: 27, along: 12, drop: 0 } };
      expect(inches(cloth, [cover])).toBeCloseTo(5.75 + 23 * 24 + 12.5, 6);
    });

    test('a half drop lets the next row begin sooner, where it lies beside the one before', () => {
      // 15.5 in high ones follow in the same column after 28 in, in the next one after 21 in; two abreast.
      const cover = { id: 'cover', size: [15.5, 15.5], qty: 16, match: { group: 'covers' } };
      const bound = inches({ width: 53.75, repeat: { across: 10, along: 14, drop: 0.5 } }, [cover]);
      expect(bound).toBeCloseTo(7 * 21 + 15.5, 6);
      // 9 in wide ones don't meet those of the next column: four repeats across hold five of them, each row 28 in behind the other.
      const narrow = { id: 'slip', size: [9, 15.5], qty: 11, match: { group: 'slips' } };
      expect(inches({ width: 50, repeat: { across: 10, along: 14, drop: 0.5 } }, [narrow])).toBeCloseTo(
        2 * 28 + 15.5,
        6,
      );
    });

    test('a strip along the cloth is no row: it may be cut into lengths that lie beside each other', () => {
      // Twelve cuts of 20 in side by side take 20 in of 26; by area 9.1 in.
      const strips = [{ id: 'ties', width: 2, length: 240, grain: 'along', loss: 0, least: 20 }];
      expect(inches({ width: 26 }, [], { strips })).toBeLessThanOrEqual(20);
      expect(
        lay(jobOf({ cloth: { name: 't', width: 26, turns: 'none' }, pieces: [], strips }), 100).used / NM.in,
      ).toBeCloseTo(20, 6);
    });

    test('without a pattern a row more is begun, too', () => {
      expect(inches({ width: 54 }, [{ id: 'pad', size: [20, 9], qty: 5 }])).toBeCloseTo(27, 6);
      // Five that lie two abreast: three rows, two of them low, 22 in; of the high ones alone two rows, 24 in.
      const pads = [
        { id: 'high', size: [26, 12], qty: 3 },
        { id: 'low', size: [25, 5], qty: 2 },
      ];
      expect(inches({ width: 54 }, pads)).toBeCloseTo(24, 6);
      // The gap lies between rows; side by side it may be slantwise, so 53 in wide enough for two.
      expect(inches({ width: 54 }, [{ id: 'pad', size: [20, 9], qty: 5 }], { gap: 0.5 })).toBeCloseTo(28, 6);
    });
  });

  test('a thing that may turn is counted the way that costs least', () => {
    const ways = [
      { side: 6, cover: 40, starts: null },
      { side: 4, cover: 60, starts: null },
    ];
    // One of each abreast: 1/40 and 1/60 of a copy for each nm, so 24 for a copy; two 4 wide abreast would take 30.
    expect(lines([{ qty: 2, ways }], 0, 10)).toBeCloseTo(48, 1);
  });
});

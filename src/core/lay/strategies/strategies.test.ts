import fc from 'fast-check';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import DistanceOp from 'jsts/org/locationtech/jts/operation/distance/DistanceOp.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { dissect, dissectedPieces, DISSECTED_REPEAT } from '@/bench/jobs';
import { NM } from '../../length';
import { boxShape, NoFitPolygons, ringShape } from '../geometry/no-fit-polygons';
import { Columns, profileOf } from '../geometry/columns';
import { areaOfPiece, findFaults, handLength, isSimple, turnOutline, type Point } from '../index';
import { ZeroWasteBeam } from './zero-waste-beam/zero-waste-beam';
import { pieceParts } from '../model/parts';
import { Random } from '../search/random';
import { ShelfRows } from './shelf-rows/shelf-rows';
import { comesApart, jobOf, lay, type Rect } from '../testing';

describe('lays that are known to be without waste (dissections of our own making)', () => {
  const cloth = { name: 't', width: 40, turns: 'any' };

  test.each([1, 2, 3])('fourteen parts are laid without waste, seed %d', (seed) => {
    const boxes = dissect(40, 30, 14, new Random(seed));
    const pieces = dissectedPieces(boxes, new Random(0), false);
    expect(lay(jobOf({ cloth, pieces }), 20_000).used / NM.in).toBe(30);
  });

  test.each([1, 2])('matched parts find their phases, and their group its own, seed %d', (seed) => {
    const random = new Random(seed);
    const pieces = dissectedPieces(dissect(40, 46, 26, random), random, true);
    const matched = { ...cloth, turns: 'none', repeat: DISSECTED_REPEAT };
    expect(lay(jobOf({ cloth: matched, pieces }), 20_000).used / NM.in).toBe(46);
  });

  test.each([4, 5])('straight cutting: sixteen parts come together again, seed %d', (seed) => {
    const boxes = dissect(40, 33, 16, new Random(seed));
    const pieces = dissectedPieces(boxes, new Random(0), false);
    expect(lay(jobOf({ cloth, pieces, cut: 'straight' }), 20_000).used / NM.in).toBe(33);
  });
});

describe('matched parts by beams', () => {
  /** A dissection that is bound to the pattern from a motif point somewhere. */
  const bound = (seed: number, repeat: object) => {
    const random = new Random(seed);
    const pieces = dissectedPieces(dissect(40, 30, 16, random), random, true).map((piece) => {
      const at = 'match' in piece && 'at' in piece.match ? (piece.match.at as number[]) : null;
      return at ? { ...piece, match: { anchor: [1, 2], at: [at[0]! + 1 - 3, at[1]! + 2 - 5] } } : piece;
    });
    return jobOf({
      cloth: { name: 't', width: 40, turns: 'none', repeat },
      stock: [{ id: 'bolt', motif: [3, 5] }],
      pieces,
    });
  };
  const repeats = [
    DISSECTED_REPEAT,
    { across: 8, along: 0, drop: 0 },
    { across: 0, along: 7.5, drop: 0 },
    { across: 13.5, along: 12.5, drop: 0.25 },
  ];

  test.each([
    [false, false],
    [true, false],
    [false, true],
    [true, true],
  ])(
    'whatever they lay whole is valid by the independent check, from the far end: %s, taking what seldom fits: %s',
    (isFlipped, isForcing) => {
      let whole = 0;
      for (let seed = 1; seed <= 12; seed++) {
        const job = bound(seed, repeats[seed % repeats.length]!);
        const parts = pieceParts(job);
        const levels = new ZeroWasteBeam(job, parts, new Random(seed), 40 * NM.in).run(
          30 * NM.in,
          64,
          isForcing,
          1,
          isFlipped,
        );
        let next = levels.next();
        while (!next.done) next = levels.next();
        for (const { placed, x, y } of next.value) {
          if (placed < parts.length) continue;
          whole++;
          const laid = parts.map(({ piece }, i) => ({
            piece: piece!.id,
            copy: piece!.copy,
            x: x[i]!,
            y: y[i]!,
            turn: 0,
          }));
          const used = 30 * NM.in;
          const lays = [{ stock: 'bolt', used, placed: laid, cuts: [] }];
          expect(
            findFaults(job, { lays, unplaced: [], used, endless: used, bound: used, passes: 0, refused: 0 }),
          ).toEqual([]);
        }
      }
      expect(whole).toBeGreaterThanOrEqual(10);
    },
  );
});

describe('straight cutting by beams', () => {
  const job = (count: number, seed: number, width = 40, length = 50) =>
    jobOf({
      cloth: { name: 't', width, turns: 'half' },
      pieces: dissectedPieces(dissect(width, length, count, new Random(seed)), new Random(0), false),
      cut: 'straight',
    });

  test.each([
    [40, 7],
    [30, 6],
  ])('%d parts of one dissection come together again, seed %d', (count, seed) => {
    const one = job(count, seed);
    const plan = lay(one, 20_000);
    expect(plan.used / NM.in).toBe(50);
    expect(findFaults(one, plan)).toEqual([]);
  });

  test('whatever a beam lays, straight cuts free it, with waste or without', () => {
    let whole = 0;
    for (let seed = 1; seed <= 12; seed++) {
      const one = job(14 + seed, seed, 40, 30);
      const parts = pieceParts(one);
      const beam = new ZeroWasteBeam(one, parts, new Random(seed), 40 * NM.in);
      const levels = beam.run((30 + (seed % 3)) * NM.in, 40, false);
      let next = levels.next();
      while (!next.done) next = levels.next();
      for (const { placed, x, y, turned } of next.value) {
        if (placed < parts.length) continue;
        whole++;
        const boxes = parts.map(({ width, height }, i): Rect => {
          const [w, h] = turned[i] === 1 ? [height, width] : [width, height];
          return [x[i]!, y[i]!, x[i]! + w, y[i]! + h];
        });
        expect(comesApart(boxes)).toBe(true);
      }
    }
    expect(whole).toBeGreaterThan(12);
  });
});

test('many parts, one of them as thin as a hair, make a beam without waste narrower, not its memory larger', () => {
  const pieces = [
    { id: 'hair', size: [0.000001, 10] },
    { id: 'many', size: [3, 2], qty: 2_999 },
  ];
  const job = jobOf({ cloth: { name: 't', width: 54, turns: 'none' }, pieces });
  const before = process.memoryUsage().arrayBuffers;
  const levels = new ZeroWasteBeam(job, pieceParts(job), new Random(1), 400 * NM.in).run(400 * NM.in, 8_192, false);
  for (let level = 0; level < 5; level++) expect(levels.next().done).toBe(false);
  expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(400e6);
});

test('a pile of rows that is too narrow for a part is not taken for a lay', () => {
  const job = jobOf({
    cloth: { name: 't', width: 40, turns: 'none' },
    cut: 'straight',
    pieces: [{ id: 'a', size: [19, 7], qty: 3 }],
  });
  const pile = (width: number) => new ShelfRows(job, pieceParts(job), new Random(1), width * NM.in);
  expect(pile(40).isWhole).toBe(true);
  expect(pile(40).used).toBe(14 * NM.in);
  expect(pile(18).isWhole).toBe(false);
});

describe('outlines', () => {
  const factory = new GeometryFactory();
  const polygon = (ring: Point[]) =>
    factory.createPolygon(factory.createLinearRing([...ring, ring[0]!].map(([x, y]) => new Coordinate(x, y))));
  const shapes: [string, number[][]][] = [
    [
      'triangle',
      [
        [0, 0],
        [14, 0],
        [5, 12],
      ],
    ],
    [
      'trapezoid',
      [
        [0, 0],
        [18, 0],
        [14, 9],
        [3, 9],
      ],
    ],
    [
      'ell',
      [
        [0, 0],
        [15, 0],
        [15, 6],
        [6, 6],
        [6, 13],
        [0, 13],
      ],
    ],
    [
      'notched',
      [
        [3, 0],
        [13, 0],
        [13, 3],
        [16, 3],
        [16, 12],
        [13, 12],
        [13, 15],
        [3, 15],
        [3, 12],
        [0, 12],
        [0, 3],
        [3, 3],
      ],
    ],
  ];

  test('do not overlap by an independent geometry library (JTS), keep their gap and are laid into each other', () => {
    for (const [turns, gap] of [
      ['any', 0],
      ['half', 0.25],
    ] as const) {
      const job = jobOf({
        cloth: { name: 't', width: 44, turns },
        gap,
        pieces: shapes.map(([id, outline]) => ({ id, outline, qty: 3 })),
      });
      const plan = lay(job, 2_000);
      const rings = plan.lays[0]!.placed.map(({ piece, x, y, turn }) => {
        const { outline } = job.pieces.find(({ id }) => id === piece)!;
        return polygon(turnOutline(outline!, turn).map(([dx, dy]): Point => [x + dx, y + dy]));
      });
      expect(rings).toHaveLength(12);
      const tolerance = 1e-4 * NM.in;
      rings.forEach((one, i) => {
        for (const other of rings.slice(i + 1)) {
          expect(OverlayOp.intersection(one, other).getArea()).toBeLessThan(tolerance * one.getLength());
          if (gap > 0) expect(DistanceOp.distance(one, other)).toBeGreaterThan(gap * NM.in - tolerance);
        }
      });
      // Boxes alone would take at least their area; the shapes reach into each other.
      const boxes = job.pieces.reduce((sum, { width, height, qty }) => sum + width * height * qty, 0);
      expect(plan.used).toBeLessThan(Math.min(boxes / (44 * NM.in), handLength(job)));
    }
  });
});

describe('odd outlines', () => {
  /** A star of n corners at growing angles, with points in the middle of its edges now and then. */
  const star = fc
    .array(fc.tuple(fc.integer({ min: 3, max: 20 }), fc.boolean()), { minLength: 3, maxLength: 12 })
    .map((corners) => {
      const ring = corners.map(([radius], i): [number, number] => {
        const angle = (2 * Math.PI * i) / corners.length;
        return [Math.round(4 * radius * Math.cos(angle)) / 4, Math.round(4 * radius * Math.sin(angle)) / 4];
      });
      const [left, low] = [Math.min(...ring.map(([x]) => x)), Math.min(...ring.map(([, y]) => y))];
      return ring
        .map(([x, y]): [number, number] => [x - left, y - low])
        .flatMap((corner, i, all) => {
          const next = all[(i + 1) % all.length]!;
          const middle: [number, number] = [(corner[0] + next[0]) / 2, (corner[1] + next[1]) / 2];
          return corners[i]![1] ? [corner, middle] : [corner];
        });
    })
    .filter((ring) => isSimple(ring));

  test('are laid without overlapping, notches, needles and needless corners and all', () => {
    fc.assert(
      fc.property(fc.array(star, { minLength: 2, maxLength: 5 }), fc.constantFrom(0, 0.25), (rings, gap) => {
        const pieces = rings.map((outline, i) => ({ id: `s${i}`, outline, qty: 2 }));
        const job = jobOf({ cloth: { name: 't', width: 44, turns: 'any' }, gap, pieces });
        const plan = lay(job, 300);
        expect(findFaults(job, plan)).toEqual([]);
        expect(plan.unplaced).toEqual([]);
      }),
      { numRuns: tries(5) },
    );
  });
});

test('the area of a piece is that of its outline (shoelace by hand), else of its box', () => {
  const outline: Point[] = [
    [0, 0],
    [16, 0],
    [14, 15],
    [2, 15],
  ];
  expect(areaOfPiece({ outline, width: 16, height: 15 })).toBe(((16 + 12) / 2) * 15);
  expect(areaOfPiece({ outline: null, width: 16, height: 15 })).toBe(240);
});

describe('the columns of free cloth', () => {
  const box = (width: number, height: number) => ({ width, height, low: null, high: null });

  test('a hole under an overhang is found again, and given back it is as before', () => {
    const columns = new Columns(0, 100, 0, Infinity, 0);
    columns.take(0, 0, box(100, 10));
    columns.take(0, 30, box(60, 10));
    expect(columns.lowestAt(0, box(50, 20), 0, Infinity, 0, 0)).toBe(10);
    expect(columns.lowestAt(0, box(50, 21), 0, Infinity, 0, 0)).toBe(40);
    expect(columns.lowestAt(60, box(40, 21), 0, Infinity, 0, 0)).toBe(10);
    columns.give(0, 30, box(60, 10));
    expect(columns.lowestAt(0, box(50, 21), 0, Infinity, 0, 0)).toBe(10);
    expect(columns.lowestAt(60, box(41, 1), 0, Infinity, 0, 0)).toBe(Infinity);
  });

  test('taking and giving back in any order leaves the cloth as it was', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            x: fc.integer({ min: 0, max: 90 }),
            w: fc.integer({ min: 1, max: 40 }),
            h: fc.integer({ min: 1, max: 30 }),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        fc.integer({ min: 1, max: 9 }),
        (parts, seed) => {
          const columns = new Columns(0, 130, 0, Infinity, 0);
          const put = parts.map(({ x, w, h }) => {
            const y = columns.lowestAt(x, box(w, h), 0, Infinity, 0, 0);
            columns.take(x, y, box(w, h));
            return { x, y, w, h };
          });
          // Nothing overlaps.
          put.forEach((a, i) => {
            for (const b of put.slice(i + 1))
              expect(a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h).toBe(false);
          });
          const random = new Random(seed);
          while (put.length > 0) {
            const [{ x, y, w, h }] = put.splice(random.below(put.length), 1) as [(typeof put)[number]];
            columns.give(x, y, box(w, h));
          }
          columns.tidy();
          expect(columns.count).toBe(1);
          expect(columns.lowestAt(0, box(130, 999), 0, Infinity, 0, 0)).toBe(0);
        },
      ),
      { numRuns: tries(200), seed: 5 },
    );
  });

  test('places beside every column are given, far more of them than there are parts', () => {
    const columns = new Columns(0, 1000, 0, Infinity, 10);
    const slope = profileOf(
      [
        [0, 0],
        [900, 0],
        [900, 900],
      ],
      900,
      900,
      10,
      0,
    );
    columns.take(0, 0, slope);
    const into = new Float64Array(columns.mostPlaces);
    const places = new Set(into.subarray(0, columns.placesFor(50, 0, 1000, into)));
    // The slope divides the cloth every 10 up to 900: a part of 50 can start at each of these places, and end there.
    for (let x = 0; x <= 900; x += 10) expect(places).toContain(x);
    expect(places).toContain(950);
  });

  test('a profile covers its outline and hardly more', () => {
    const ring: Point[] = [
      [0, 0],
      [1000, 0],
      [400, 800],
    ];
    const { low, high, width } = profileOf(ring, 1000, 800, 10, 0);
    expect([width, low!.length]).toEqual([1000, 100]);
    expect(Math.max(...low!)).toBe(0);
    const area = high!.reduce((sum, one) => sum + 10 * one, 0);
    expect(area).toBeGreaterThanOrEqual(400_000);
    expect(area).toBeLessThan(400_000 * 1.03);
  });
});

describe('clearances of shapes', () => {
  const factory = new GeometryFactory();
  const polygon = (ring: readonly Point[], dx: number, dy: number) =>
    factory.createPolygon(
      factory.createLinearRing([...ring, ring[0]!].map(([x, y]) => new Coordinate(x + dx, y + dy))),
    );
  const rings: Point[][] = [
    [
      [0, 0],
      [14, 0],
      [5, 12],
    ],
    [
      [0, 0],
      [15, 0],
      [15, 6],
      [6, 6],
      [6, 13],
      [0, 13],
    ],
    [
      [3, 0],
      [13, 0],
      [13, 3],
      [16, 3],
      [16, 12],
      [13, 12],
      [13, 15],
      [3, 15],
      [3, 12],
      [0, 12],
      [0, 3],
      [3, 3],
    ],
    [
      [0, 4],
      [9, 0],
      [11, 10],
      [2, 8],
    ],
    // With corners where it goes straight on; its parts are hardly convex there.
    [
      [13.25, 11.75],
      [0, 0],
      [7.125, 4.5],
      [15.25, 9],
      [17.25, 9],
      [20.25, 8.75],
      [23.25, 11.75],
      [23.5, 17],
      [22.25, 21.5],
      [21, 26],
      [14.5, 17.5],
      [7.75, 20.25],
      [1, 23],
      [7.125, 17.375],
    ],
  ];
  const sizes: [number, number][] = [
    [14, 12],
    [15, 13],
    [16, 15],
    [11, 10],
    [23.5, 26],
  ];
  const clearances = new NoFitPolygons(
    rings.map((ring, i) => ringShape(ring, ...sizes[i]!)),
    0,
  );

  test('say that shapes overlap exactly when a geometry library (JTS) does', () => {
    const number = fc.integer({ min: 0, max: rings.length - 1 });
    const shift = fc.integer({ min: -2500, max: 2500 }).map((x) => x / 100);
    fc.assert(
      fc.property(number, number, shift, shift, (a, b, dx, dy) => {
        const depth = clearances.depth(a, b, dx, dy);
        const area = OverlayOp.intersection(polygon(rings[a]!, 0, 0), polygon(rings[b]!, dx, dy)).getArea();
        if (depth > 1e-6) expect(area).toBeGreaterThan(0);
        else expect(area).toBeLessThan(1e-4);
      }),
      { numRuns: tries(250) },
    );
  });

  test('corners of no-fit polygons are places where two convex shapes touch, but do not overlap (JTS)', () => {
    for (const [a, b] of [
      [0, 3],
      [3, 0],
      [0, 0],
      [3, 3],
    ] as const) {
      const corners = clearances.cornersOf(a, b);
      // A triangle and a field of four corners have seven edges in seven directions, two alike have their own ones twice.
      expect(corners.length / 2).toBe(rings[a]!.length + rings[b]!.length);
      for (let c = 0; c < corners.length; c += 2) {
        const [one, other] = [polygon(rings[a]!, 0, 0), polygon(rings[b]!, corners[c]!, corners[c + 1]!)];
        expect(DistanceOp.distance(one, other)).toBeLessThan(1e-6);
        expect(OverlayOp.intersection(one, other).getArea()).toBeLessThan(1e-6);
      }
    }
  });

  test('lead out of a convex shape the shortest way', () => {
    const [wide, narrow] = [boxShape(10, 4), boxShape(3, 3)];
    const boxes = new NoFitPolygons([wide, narrow], 0.5);
    // One in from the right edge, the gap with it.
    expect(boxes.depth(0, 1, 9, 0.5)).toBeCloseTo(1.5);
    expect(boxes.out[0]).toBe(1);
    expect(boxes.out[1]).toBeCloseTo(0);
    expect(boxes.depth(0, 1, 10.5, 0.5)).toBe(0);
    // A flaw may be touched.
    expect(new NoFitPolygons([boxShape(10, 4, false), narrow], 0.5).depth(0, 1, 10, 0.5)).toBe(0);
  });
});

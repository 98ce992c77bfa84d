import { describe, expect, test } from 'vitest';
import { dissect, fusedJob, shakenGrid } from '@/bench/jobs';
import { NM } from '../../../length';
import { boxShape } from '../../geometry/no-fit-polygons';
import { areaOfPiece, findFaults } from '../../index';
import { OutlineBeam } from './outline-beam';
import { suitsOutlineBeam } from './suits';
import { pieceParts } from '../../model/parts';
import { measured } from '../../search/placer';
import { Random } from '../../search/random';
import { shapesOf } from '../../geometry/shapes';
import { ROUND, Starts } from './start-corners';
import { jobOf, lay } from '../../testing';

const drain = <T>(steps: Generator<number, T, void>): T => {
  for (let next = steps.next(); ; next = steps.next()) if (next.done) return next.value;
};

const beamOf = (width: number, pieces: object[]) => {
  const job = jobOf({ cloth: { name: 't', width, turns: 'any' }, pieces });
  return new OutlineBeam(job, pieceParts(job), shapesOf(job, pieceParts(job)), new Random(1));
};

describe('outlines that fill the cloth without waste (grids whose corners are moved about)', () => {
  test.each([
    [4, 4],
    [5, 6],
    [6, 8],
  ])('%d by %d fields come together again', (across, along) => {
    const length = 8 * along;
    const pieces = shakenGrid(48, length, across, along, new Random(across));
    const job = jobOf({ cloth: { name: 't', width: 48, turns: 'any' }, pieces });
    const plan = lay(job, 3_000);
    expect(plan.used / NM.in).toBeCloseTo(length, 4);
    expect(findFaults(job, plan)).toEqual([]);
    expect(plan.unplaced).toEqual([]);
  });

  test.each([3, 4, 6])('boxes joined two by two to ells, tees and steps come together again, seed %d', (seed) => {
    const { job, best } = fusedJob(12, seed);
    // Nothing is lost when boxes are joined.
    expect(job.pieces.reduce((sum, piece) => sum + piece.qty * areaOfPiece(piece), 0)).toBeCloseTo(
      54 * best * NM.in ** 2,
      -12,
    );
    expect(job.pieces.filter(({ outline }) => outline).length).toBeGreaterThan(2);
    const plan = lay(job, 3_000);
    expect(plan.used / NM.in).toBeCloseTo(best, 4);
    expect(findFaults(job, plan)).toEqual([]);
  });

  test.each([205])('26 of them are found in one order of filling the corners or another, seed %d', (seed) => {
    const { job, best } = fusedJob(26, seed);
    const parts = pieceParts(job);
    const beam = new OutlineBeam(job, parts, shapesOf(job, parts), new Random(2));
    let whole = null;
    for (const order of beam.orders) if ((whole = drain(beam.run(best * NM.in, 256, order)))) break;
    expect(whole!.placed).toBe(parts.length);
    expect(measured(job, parts, whole!).used[0]! / NM.in).toBeCloseTo(best, 4);
  });

  test('a cloth whose pieces may all lie upside down has half as many orders', () => {
    const ell = {
      id: 'l',
      outline: [
        [0, 0],
        [15, 0],
        [15, 6],
        [6, 6],
        [6, 13],
        [0, 13],
      ],
    };
    const ordersOf = (turns: string) =>
      new Set(beamOf(30, [{ ...ell, turns }]).orders.map((order) => JSON.stringify(order)));
    expect(ordersOf('any').size).toBe(8);
    expect(ordersOf('half').size).toBe(8);
    expect(ordersOf('none').size).toBe(16);
    // A rectangle is the same upside down.
    expect(beamOf(30, [{ id: 'r', size: [15, 6], turns: 'none' }]).orders).toHaveLength(8);
  });

  test.each([0, 1, 2, 3, 4, 5, 6, 7])(
    'two boxes that make an ell are laid with it: seven parts on 24 in, order %d',
    (order) => {
      const boxes = dissect(24, 18, 8, new Random(5));
      const [a, b] = [
        boxes[0]!,
        boxes.find((box) => box !== boxes[0] && box.x === boxes[0]!.x + boxes[0]!.w && box.y === boxes[0]!.y)!,
      ];
      expect(b.h).not.toBe(a.h);
      const [low, high] = a.h < b.h ? [a.h, b.h] : [b.h, a.h];
      const whole = a.w + b.w;
      const ell =
        a.h < b.h
          ? [
              [0, 0],
              [whole, 0],
              [whole, high],
              [a.w, high],
              [a.w, low],
              [0, low],
            ]
          : [
              [0, 0],
              [whole, 0],
              [whole, low],
              [a.w, low],
              [a.w, high],
              [0, high],
            ];
      const rest = boxes.filter((box) => box !== a && box !== b);
      const beam = beamOf(24, [
        { id: 'ell', outline: ell },
        ...rest.map(({ w, h }, i) => ({ id: `p${i}`, size: [h, w] })),
      ]);
      const best = drain(beam.run(18 * NM.in, 64, beam.orders[order]!));
      expect(best!.placed).toBe(7);
      expect([...best!.stock]).toEqual(Array.from({ length: 7 }, () => 0));
    },
  );
});

describe('where there is no such lay', () => {
  const triangle = {
    id: 't',
    outline: [
      [0, 0],
      [10, 0],
      [3, 8],
    ],
    qty: 6,
  };

  test('a few parts are laid and the rest is not', () => {
    const boxes = { id: 'b', size: [10, 8], qty: 2 };
    const beam = beamOf(30, [{ ...triangle, qty: 2 }, boxes]);
    expect(drain(beam.run(8 * NM.in, 32, beam.orders[0]!))).toBeNull();
    expect(beam.reached).toBeLessThan(4);
    expect(beam.reached).toBeGreaterThan(0);
  });

  test('parts on a grid end only on it', () => {
    const ell = {
      id: 'l',
      outline: [
        [0, 0],
        [15, 0],
        [15, 6],
        [6, 6],
        [6, 13],
        [0, 13],
      ],
      qty: 2,
    };
    const beam = beamOf(30, [ell]);
    expect(beam.canEndAt(9 * NM.in)).toBe(true);
    expect(beam.canEndAt(9.4 * NM.in)).toBe(false);
    expect(beam.area).toBe(2 * (15 * 6 + 6 * 7) * NM.in ** 2);
  });

  test('remnants, gaps, straight cutting and patterns and very many corners are for the other strategies', () => {
    const suits = (rest: object) => {
      const job = jobOf({ pieces: [triangle], ...rest });
      return suitsOutlineBeam(job, pieceParts(job));
    };
    expect(suits({})).toBe(true);
    expect(suits({ gap: 0.25 })).toBe(false);
    expect(suits({ cut: 'straight' })).toBe(false);
    expect(suits({ stock: [{ id: 'rem', length: 30 }, { id: 'roll' }] })).toBe(false);
    expect(suits({ pieces: [{ ...triangle, qty: 1333 }] })).toBe(true);
    expect(suits({ pieces: [{ ...triangle, qty: 1334 }] })).toBe(false);
    const cloth = { name: 't', width: 54, turns: 'half', repeat: { across: 9, along: 7 } };
    expect(suits({ cloth, pieces: [{ ...triangle, match: { at: [0, 0] } }] })).toBe(false);
  });
});

describe('what can begin at a free corner', () => {
  // Two boxes that may not turn, 3 by 2 and 5 by 2 inches, on 10 in of cloth.
  const size = (w: number, h: number) => boxShape(w * NM.in, h * NM.in);
  const starts = new Starts([size(3, 2), size(5, 2)], [[0], [1]], 10 * NM.in);
  const quarter = Math.PI / 2;
  const at = (x: number, from: number, angle = quarter) => ({ x: x * NM.in, y: 0, from, angle });

  test('a floor between two corners must be a sum of edges, each part used once', () => {
    const fits = [2, 3, 4, 5, 6, 8, 10].filter((length) => starts.hasFloor([at(0, 0), at(length, quarter)], at(0, 0)));
    expect(fits).toEqual([3, 5, 8]);
    // Where the ground falls away beyond its end, parts may reach over it.
    expect(starts.hasFloor([at(0, 0), at(4, Math.PI, 1.5 * Math.PI)], at(0, 0))).toBe(true);
  });

  test('many traced outlines are gathered at once: 500 of 40 corners in four turns', () => {
    const ring = (k: number) =>
      Array.from({ length: 40 }, (_, i): [number, number] => {
        const [angle, far] = [(ROUND * i) / 40, 4 + (((i * 7 + k * 13) % 11) + k / 500) / 20];
        return [5 + far * Math.cos(angle), 5 + far * Math.sin(angle)].map((x) => Math.round(x * NM.in)) as [
          number,
          number,
        ];
      });
    const shapes = Array.from({ length: 2000 }, (_, k) => ({ ...boxShape(10 * NM.in, 10 * NM.in), ring: ring(k) }));
    const many = new Starts(
      shapes,
      shapes.map((_, k) => [k]),
      54 * NM.in,
    );
    expect(many.corners.flat()).toHaveLength(80_000);
    // Hardly any two edges have one direction: each tells nearly as much as there are edges.
    expect(
      Math.max(
        ...many.corners
          .slice(0, 50)
          .flat()
          .map(({ outBits }) => outBits),
      ),
    ).toBeGreaterThan(8);
  });

  test('kinds that are used up, and corners that are too wide, are not offered', () => {
    const kinds = (counts: number[], from: number, angle: number) => {
      const found: number[] = [];
      starts.each(counts, from, angle, ({ kind }) => {
        found.push(kind);
        return true;
      });
      return found;
    };
    expect(kinds([1, 1], 0, quarter)).toEqual([0, 1]);
    expect(kinds([0, 1], 0, quarter)).toEqual([1]);
    expect(kinds([1, 1], 0, quarter / 2)).toEqual([]);
    expect(kinds([1, 1], quarter / 2, quarter)).toEqual([]);
    expect(starts.canFill([1, 1], at(0, 0))).toBe(true);
    expect(starts.canFill([0, 0], at(0, 0))).toBe(false);
  });
});

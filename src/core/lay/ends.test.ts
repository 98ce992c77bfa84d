import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { performance } from 'node:perf_hooks';
import { fuzz } from '@/bench/fuzz';
import { inches, NM } from '../length';
import { findFaults, nest, type LayJob } from './index';
import { areaOfPiece, isSimple, type Point } from './model/outline';
import { coarseOutline, roundedOut } from './geometry/rounded-outline';
import { cutLengths } from './strips/strips';
import { jobOf, lay } from './testing';

// Searches that once never ended, broke off or told something that was not so.

const clock = () => performance.now();
/** A lay by the clock; a search that never ends is caught by the test's own time. */
const laid = (job: LayJob, seconds: number) => {
  const plan = nest(job, { seconds, clock });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  expect(findFaults(job, plan.value)).toEqual([]);
  return plan.value;
};

/** The bench of a theatre's foyer on a half drop of 16 by 22 cm: its centred top reaches past either edge. */
const centred = () =>
  jobOf({
    units: 'mm',
    cloth: {
      name: 'diamond',
      width: 1420,
      selvage: [12, 12],
      repeat: { across: 160, along: 220, drop: 0.5 },
      turns: 'half',
    },
    pieces: [
      { id: 'top', size: [1305.4, 465.4], match: { anchor: [12.7, 12.7], at: [-640, -220] } },
      { id: 'bottom', size: [1305.4, 465.4] },
      { id: 'front', size: [1305.4, 115.4], match: { anchor: [12.7, 102.7], at: [-640, -220] } },
    ],
  });

/** Two parts that each fit the cloth but want to lie on the pattern so far apart that only one of them can. */
const apart = () =>
  jobOf({
    cloth: { name: 'wide repeat', width: 41, turns: 'none', repeat: { across: 30, along: 12, drop: 0 } },
    pieces: [
      { id: 'a', size: [38, 10], match: { anchor: [0, 0], group: 'set' } },
      { id: 'b', size: [38, 12], match: { anchor: [0, 0], group: 'set', delta: [15, 0] } },
      { id: 'c', size: [9, 7], qty: 5 },
    ],
  });

describe('a search ends, whatever can’t be laid', () => {
  test('a fixed part without a place is shown with how far it misses, and the rest is laid', () => {
    const plan = laid(centred(), 0.5);
    expect(plan.unplaced.map((one) => ('piece' in one ? one.piece : ''))).toEqual(['top', 'front']);
    // The corner comes every 160 mm from 147.3 - 160 (mod 160): 24.7 mm over the right edge, or more at the left.
    expect(plan.unplaced[0]!.why).toBe(
      'where the pattern is right for it, it would reach 24.7 mm past the edge of the cloth',
    );
  });

  test('parts of a set that can’t lie together on an endless cloth: one stays out, and the search ends', () => {
    const plan = laid(apart(), 0.6);
    expect(plan.unplaced).toHaveLength(1);
    expect(plan.unplaced[0]!.why).toMatch(/no place of the pattern .* set "set"/);
  });

  test('a whole match group that is too wide, beside strips across: no crash, and no cut that brings nothing', () => {
    const job = jobOf({
      cloth: {
        name: 'drop',
        width: 45,
        selvage: [0.5, 0.5],
        repeat: { across: 0, along: 4, drop: 1 / 3 },
        turns: 'none',
      },
      stock: [{ id: 'r0', length: 29, motif: [8, 1] }, { id: 'r1', length: 12 }, { id: 'bolt' }],
      pieces: [
        { id: 'p0', size: [69, 30], match: { anchor: [0.5, 0.5], group: 'b', delta: [0, 6] } },
        { id: 'p1', size: [12.25, 21], qty: 5 },
        { id: 'p2', size: [62, 27], match: { anchor: [0.5, 0.5], group: 'b', delta: [0, 6] } },
      ],
      strips: [{ id: 's0', width: 1.5, length: 289, grain: 'across', loss: 1.5, least: 0, qty: 3 }],
    });
    const plan = lay(job, 300);
    expect(findFaults(job, plan)).toEqual([]);
    expect(plan.unplaced.map((one) => ('piece' in one ? one.piece : one.strip))).toEqual(['p0', 'p2']);
    for (const { length } of plan.lays.flatMap(({ cuts }) => cuts)) expect(length).toBeGreaterThan(inches(1.5));
  });

  test('a strip of more cuts than anybody joins is shown, not planned', () => {
    const job = jobOf({ strips: [{ id: 'mile', width: 1, length: 90_000, grain: 'across', loss: 1, qty: 1 }] });
    expect(lay(job, 10).unplaced[0]).toMatchObject({ strip: 'mile', why: expect.stringMatching(/\d+ cuts, and 400/) });
  });

  test('what is told on the way speaks of the same pieces: what lies, what is proven of it, and what is left out', () => {
    const progress: { used: number; bound: number; unplaced: number }[] = [];
    nest(apart(), {
      seconds: 0.5,
      clock,
      onProgress: ({ used, bound, unplaced }) => progress.push({ used, bound, unplaced: unplaced.length }),
    });
    expect(progress.length).toBeGreaterThan(0);
    for (const { used, bound, unplaced } of progress) {
      expect(bound).toBeLessThanOrEqual(used);
      expect(unplaced).toBe(1);
    }
  });

  test('random jobs of every feature, impossible pieces among them', { timeout: 120_000 }, () => {
    for (let seed = 1; seed <= tries(24); seed++) expect(fuzz(seed, 0.05, clock).wrong, `seed ${seed}`).toEqual([]);
  });
});

describe('cuts of a strip', () => {
  const want = { strip: 's', copy: 1, width: inches(1.5), length: inches(289), loss: inches(1.5), least: 0 };

  test('each brings some length, and together they bring what is wanted', () => {
    for (const n of [7, 8, 9, 14])
      for (const even of [false, true]) {
        const cuts = cutLengths(want, n, inches(44), even)!;
        expect(Math.min(...cuts)).toBeGreaterThan(want.loss);
        const joined = cuts.reduce((sum, one) => sum + one, 0) - (n - 1) * want.loss;
        expect(joined).toBeGreaterThanOrEqual(want.length);
      }
  });

  test('cuts of the least length may bring more than is wanted', () => {
    expect(
      cutLengths({ ...want, length: inches(50), loss: inches(1), least: inches(30) }, 2, inches(44), true),
    ).toEqual([inches(30), inches(30)]);
  });
});

describe('an outline of many corners is searched with a simpler one around it', () => {
  /** A leaf with waves along its edge. */
  const wavy = (corners: number): Point[] => {
    const ring = Array.from({ length: corners }, (_, i): Point => {
      const angle = (2 * Math.PI * i) / corners;
      const far = inches(8) * (1 + 0.2 * Math.cos(5 * angle) + 0.04 * Math.cos(29 * angle));
      return [far * Math.cos(angle), far * Math.sin(angle)];
    });
    const [left, low] = [Math.min(...ring.map(([x]) => x)), Math.min(...ring.map(([, y]) => y))];
    return ring.map(([x, y]): Point => [Math.round(x - left), Math.round(y - low)]);
  };
  const ring = wavy(400);
  const [width, height] = [Math.max(...ring.map(([x]) => x)), Math.max(...ring.map(([, y]) => y))];
  const area = (outline: readonly Point[]) => areaOfPiece({ outline, width, height });
  /** How far a point lies from a ring's nearest edge, and whether inside it: worked out apart from the engine. */
  const isInside = ([x, y]: Point, of: readonly Point[]) => {
    let inside = false;
    for (let i = 0, j = of.length - 1; i < of.length; j = i++) {
      const [[ax, ay], [bx, by]] = [of[i]!, of[j]!];
      if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
    }
    return inside;
  };
  const distance = ([x, y]: Point, of: readonly Point[]) =>
    of.reduce((least, [ax, ay], i) => {
      const [bx, by] = of[(i + 1) % of.length]!;
      const along = Math.max(
        0,
        Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2)),
      );
      return Math.min(least, Math.hypot(x - ax - along * (bx - ax), y - ay - along * (by - ay)));
    }, Infinity);

  test.each([
    ['half a millimetre', roundedOut(ring, width, height), NM.mm / 2],
    ['coarse, a 24th of its box', coarseOutline(ring, width, height), width / 16],
  ])('%s: simple, around it, no further out than said', (_, simpler, out) => {
    expect(simpler.length).toBeLessThan(ring.length);
    expect(isSimple(simpler)).toBe(true);
    expect(area(simpler)).toBeGreaterThan(area(ring));
    for (const corner of ring) expect(isInside(corner, simpler) || distance(corner, simpler) < NM.mm / 100).toBe(true);
    for (const corner of simpler) expect(distance(corner, ring)).toBeLessThan(out + NM.mm / 100);
    expect([Math.max(...simpler.map(([x]) => x)), Math.max(...simpler.map(([, y]) => y))]).toEqual([width, height]);
  });

  test('few corners stay as they are', () => {
    const few = wavy(24);
    expect(roundedOut(few, width, height)).toBe(few);
  });
});

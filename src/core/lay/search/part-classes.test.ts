import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { gatherClasses, greatestCommon, layOf, subsetSums, type Chain } from './part-classes';
import { pieceParts } from '../model/parts';
import { jobOf } from '../testing';

const kindsOf = (pieces: object[], rest: object = {}) => {
  const job = jobOf({ pieces, ...rest });
  return gatherClasses(job, pieceParts(job));
};

describe('kinds of parts', () => {
  test('parts are of one kind that are alike in size, turns and what the pattern asks of them', () => {
    const patterned = { cloth: { name: 't', width: 54, turns: 'any', repeat: { across: 9, along: 8, drop: 0 } } };
    const { kinds, groups } = kindsOf(
      [
        { id: 'a', size: [10, 8], qty: 3 },
        { id: 'b', size: [10, 8], qty: 2 },
        { id: 'c', size: [10, 8], turns: 'none' },
        { id: 'd', size: [10, 8], match: { at: [0, 0] } },
        { id: 'e', size: [10, 8], match: { at: [1, 0] } },
        { id: 'f', size: [10, 8], match: { group: 'g' } },
        { id: 'g', size: [10, 8], qty: 2, match: { group: 'g' } },
        { id: 'h', size: [10, 8], match: { group: 'h' } },
      ],
      patterned,
    );
    expect(kinds.map(({ members }) => members)).toEqual([[0, 1, 2, 3, 4], [5], [6], [7], [8, 9, 10], [11]]);
    expect(groups).toBe(2);
    expect(kinds.map(({ group }) => group)).toEqual([-1, -1, -1, -1, 0, 1]);
    expect(kinds.map(({ fixed }) => fixed !== null)).toEqual([false, false, true, true, false, false]);
  });

  test('a kind has a way for each turn that changes its size, the gap with it', () => {
    const [kind] = kindsOf([{ id: 'a', size: [10, 8] }], {
      gap: 1,
      cloth: { name: 't', width: 54, turns: 'any' },
    }).kinds;
    expect(kind!.ways.map(({ w, h, turned }) => [w / 25_400_000, h / 25_400_000, turned])).toEqual([
      [11, 9, 0],
      [9, 11, 1],
    ]);
    expect(
      kindsOf([{ id: 'a', size: [8, 8] }], { cloth: { name: 't', width: 54, turns: 'any' } }).kinds[0]!.ways,
    ).toHaveLength(1);
  });
});

test('sums of sides are those that choosing some of the parts gives, each of them once', () => {
  const side = fc.record({
    w: fc.integer({ min: 1, max: 9 }),
    h: fc.integer({ min: 1, max: 9 }),
    qty: fc.integer({ min: 1, max: 2 }),
    turns: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(side, { minLength: 1, maxLength: 5 }), fc.integer({ min: 5, max: 40 }), (sides, most) => {
      const kinds = sides.map(({ w, h, qty, turns }) => ({
        ways: [{ w, h, turned: 0 as const }, ...(turns ? [{ w: h, h: w, turned: 1 as const }] : [])],
        members: Array.from({ length: qty }, (_, i) => i),
        fixed: null,
        group: -1,
        shift: [0, 0] as const,
      }));
      // Every choice of no side, the one or the other, for each copy.
      let wanted = new Set([0]);
      for (const { ways, members } of kinds)
        for (let copy = 0; copy < members.length; copy++)
          wanted = new Set([...wanted].flatMap((sum) => [sum, ...ways.map(({ w }) => sum + w)]));
      const sums = subsetSums(kinds, most, 1, ({ w }) => w)!;
      expect([...sums].flatMap((is, length) => (is ? [length] : []))).toEqual(
        [...wanted].filter((sum) => sum <= most).sort((a, b) => a - b),
      );
    }),
  );
  expect(subsetSums([], 1_000_000, 1, ({ w }) => w)).toBeNull();
});

test('the greatest common length divides both, and nothing greater does', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 400 }), (a, b) => {
      const common = greatestCommon(a, b);
      expect([a % common, b % common]).toEqual([0, 0]);
      for (let more = common + 1; more <= Math.max(a, b); more++) expect(a % more === 0 && b % more === 0).toBe(false);
    }),
  );
});

test('a chain is the lay of its last state and all before it; what it does not hold lies nowhere', () => {
  const { kinds } = kindsOf([
    { id: 'a', size: [10, 8], qty: 2 },
    { id: 'b', size: [5, 5] },
  ]);
  const [a, b] = kinds as [(typeof kinds)[number], (typeof kinds)[number]];
  const start: Chain = { parent: null, kind: -1, way: null, px: 0, py: 0 };
  const one: Chain = { parent: start, kind: 1, way: b.ways[0]!, px: 3, py: 4 };
  const two: Chain = { parent: one, kind: 0, way: { ...a.ways[0]!, turned: 1 }, px: 20, py: 30 };
  const lay = layOf(two, kinds, 3, 5, 100);
  expect(lay.placed).toBe(2);
  expect([...lay.stock]).toEqual([5, -1, 5]);
  expect([lay.x[0], lay.y[0], lay.turned[0], lay.x[2], lay.y[2], lay.turned[2]]).toEqual([120, 30, 1, 103, 4, 0]);
});

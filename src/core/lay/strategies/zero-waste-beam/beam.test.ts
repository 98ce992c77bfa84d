import fc from 'fast-check';
import { expect, test } from 'vitest';
import { Children, growBest, Level } from './beam';

const ranks = fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 1, maxLength: 60 });

const differing = fc.uniqueArray(fc.integer({ min: 0, max: 300 }), { minLength: 1, maxLength: 60 });

/** Children numbered by their left sides, with these ranks. */
function childrenOf(some: readonly number[]): Children {
  const children = new Children(some.length);
  some.forEach((rank, i) => children.add(i % 5, i % 3, i % 7, i, rank));
  return children;
}

test('of children those with the best ranks are kept, each with what was told of it', () => {
  fc.assert(
    fc.property(ranks, fc.nat(), (some, n) => {
      const most = 1 + (n % some.length);
      const children = childrenOf(some);
      const least = children.keepBest(most);
      expect(least).toBe([...some].sort((a, b) => b - a)[most - 1]);
      const kept = Array.from({ length: children.size }, (_, i) => children.px[i]!);
      expect(kept).toEqual(some.flatMap((rank, i) => (rank >= least ? [i] : [])));
      kept.forEach((i, k) => {
        const { parent, segment, way, rank } = children;
        expect([parent[k], segment[k], way[k], rank[k]]).toEqual([i % 5, i % 3, i % 7, some[i]]);
      });
    }),
  );
});

test('the best children come first, then the next best, each once', () => {
  fc.assert(
    fc.property(differing, fc.nat(), (some, n) => {
      const most = 1 + (n % some.length);
      const order = [...childrenOf(some).ranked(most)];
      expect([...order].sort((a, b) => a - b)).toEqual(some.map((_, i) => i));
      const before = order.slice(0, most).map((i) => some[i]!);
      const after = order.slice(most).map((i) => some[i]!);
      expect(Math.min(...before)).toBeGreaterThanOrEqual(Math.max(-1, ...after));
    }),
  );
});

test('states that are alike are made once, and no more than are wanted', () => {
  const some = [9, 8, 7, 6, 5, 4, 3, 2, 1];
  // Three sorts: each child stands for its left side modulo 3.
  const grown = (width: number) => {
    const level = new Level(width + 1, 4, 1);
    const sorts: number[] = [];
    const children = childrenOf(some);
    const size = growBest(children, width, level, (child, to) => {
      sorts[to] = children.px[child]! % 3;
      level.start(0, 24, [1]);
      level.skylines.flatten(to, 0, 24);
      level.hash[to] = sorts[to];
    });
    return sorts.slice(0, size);
  };
  expect(grown(2)).toEqual([0, 1]);
  expect(grown(5)).toEqual([0, 1, 2]);
});

test('a level counts what is left of each kind from state to state', () => {
  const [from, to] = [new Level(2, 4, 3), new Level(3, 4, 3)];
  from.start(0, 24, [4, 1, 2]);
  to.takeOne(2, from, 0, 1);
  expect([...to.counts]).toEqual([0, 0, 0, 0, 0, 0, 4, 0, 2]);
  expect([...from.counts]).toEqual([4, 1, 2, 0, 0, 0]);
});

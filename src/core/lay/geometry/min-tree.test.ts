import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { MinTree } from './min-tree';

const numbers = fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 1, maxLength: 40 });

test('the first place below a limit is the one that a look from the left finds, after any changes', () => {
  const changes = fc.array(fc.tuple(fc.nat({ max: 39 }), fc.integer({ min: -50, max: 50 })), { maxLength: 20 });
  fc.assert(
    fc.property(numbers, changes, fc.integer({ min: -60, max: 60 }), (values, changed, limit) => {
      const tree = new MinTree(values.length);
      tree.fill(values);
      const plain = [...values];
      for (const [place, value] of changed.filter(([place]) => place < plain.length)) {
        tree.set(place, value);
        plain[place] = value;
      }
      expect(tree.firstBelow(limit)).toBe(plain.findIndex((one) => one < limit));
    }),
    { numRuns: tries(300) },
  );
});

test('filled again with fewer, it knows nothing of what was there before', () => {
  fc.assert(
    fc.property(numbers, numbers, (first, second) => {
      const tree = new MinTree(Math.max(first.length, second.length));
      tree.fill(first);
      tree.fill(second);
      for (const limit of [-40, 0, 40, 60, Infinity])
        expect(tree.firstBelow(limit)).toBe(second.findIndex((one) => one < limit));
    }),
  );
});

test('with nothing in it, and with none below the limit, there is no place', () => {
  expect(new MinTree(0).firstBelow(Infinity)).toBe(-1);
  expect(new MinTree(5).firstBelow(Infinity)).toBe(-1);
  const tree = new MinTree(1);
  tree.fill([3]);
  expect([tree.firstBelow(3), tree.firstBelow(4)]).toEqual([-1, 0]);
});

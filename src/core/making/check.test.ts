// Looks at a sewn cover: what is within its tolerance, and when a cover may go on.
import { describe, expect, test } from 'vitest';
import { cover } from '../covers/testing';
import { NM } from '../length';
import { judge, looksOf, SAME_PATTERN, whyNotRight, type LookAnswer } from './check';

const inches = (length: number | undefined) =>
  length === undefined ? undefined : Math.round((length / NM.in) * 1000) / 1000;

describe('finished sizes and tolerances, worked by hand (common practice, no source)', () => {
  // Kind, sizes of the form; what is measured, what the tape should show, and how much it may be off, in inches.
  test.each([
    // Envelopes are usually true to the form, zipped ones snug: cut at its size, so an inch under it with seams of 1/2 in.
    ['envelope-cushion', { width: 18, height: 24 }, 'width', 18, 1 / 4],
    ['envelope-cushion', { width: 18, height: 24 }, 'height', 24, 1 / 4],
    ['zip-cushion', { width: 16, height: 16 }, 'width', 15, 1 / 4],
    // True size: over foam, the foam's own.
    ['boxed-cushion', { length: 20, width: 15, thickness: 3 }, 'length', 20, 1 / 8],
    ['boxed-cushion', { length: 20, width: 15, thickness: 3 }, 'depth', 15, 1 / 8],
    ['boxed-cushion', { length: 20, width: 15, thickness: 3 }, 'height of the boxing', 3, 1 / 8],
    // The diagonal of 20 by 15 is 25, that of 40 by 30 is 50.
    ['boxed-cushion', { length: 20, width: 15, thickness: 3 }, 'both diagonals, equal', 25, 1 / 4],
    ['platform-notched', { length: 40, width: 30, thickness: 4, wrap: 2 }, 'length', 40, 1 / 8],
    ['platform-notched', { length: 40, width: 30, thickness: 4, wrap: 2 }, 'both diagonals, equal', 50, 1 / 4],
    ['round-cushion', { diameter: 14, thickness: 2 }, 'diameter, both ways', 14, 1 / 8],
  ])('%s %o: %s', (kind, sizes, what, size, tolerance) => {
    const look = cover(kind, sizes).inspections.find((one) => one.what === what)!;
    expect([inches(look.size), inches(look.tolerance)]).toEqual([size, tolerance]);
  });
});

test('a size is right up to its tolerance, and said to be off by what it is off', () => {
  const look = { what: 'width', size: 16 * NM.in, tolerance: NM.in / 8 };
  expect(judge(look, 16.125 * NM.in)).toEqual({ off: NM.in / 8, isRight: true });
  expect(judge(look, 15.75 * NM.in)).toEqual({ off: -NM.in / 4, isRight: false });
});

describe('a cover may go on', () => {
  const looks = looksOf([{ what: 'width', size: 100, tolerance: 2 }, { what: 'hems straight' }], { isSet: false });
  const right: LookAnswer[] = [
    { n: 1, measuredNm: 101, isRight: true },
    { n: 2, measuredNm: null, isRight: true },
  ];

  test('once every look is right', () => {
    expect(whyNotRight(looks, right, [])).toBeNull();
    expect(whyNotRight(looks, right.slice(0, 1), [])).toBe('Not looked at yet: hems straight.');
    expect(whyNotRight(looks, [], [])).toBe('Not looked at yet: width, and 1 more.');
  });

  test('with a wrong look only when somebody has decided on it and that is done', () => {
    const wrong = [right[0]!, { ...right[1]!, isRight: false }];
    expect(whyNotRight(looks, wrong, [])).toContain('nobody has decided');
    expect(whyNotRight(looks, wrong, [{ look: 2, isOpen: true }])).toContain('still open');
    expect(whyNotRight(looks, wrong, [{ look: 2, isOpen: false }])).toBeNull();
    expect(whyNotRight(looks, right, [{ look: null, isOpen: true }])).toContain('still open');
  });

  test('as one of a set when it shows the same piece of the pattern', () => {
    expect(looksOf([], { isSet: true }).map(({ n, what }) => [n, what])).toEqual([[1, SAME_PATTERN]]);
    expect(looksOf([{ what: 'hems straight' }], { isSet: true })).toHaveLength(2);
  });
});

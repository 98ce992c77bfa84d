import { describe, expect, test } from 'vitest';
import { inches } from '../length';
import { bindNotion, roundedUp, type NotionStock } from '.';

const one = (id: number, rest: Partial<NotionStock>): NotionStock => ({
  id,
  name: `n${id}`,
  sort: 'cord',
  countedBy: 'length',
  lengthNm: null,
  widthNm: null,
  usualFor: [],
  ...rest,
});
const zip = (id: number, length: number) =>
  one(id, { sort: 'zip', countedBy: 'piece', lengthNm: inches(length), usualFor: ['zip'] });
const stock = [
  zip(1, 16),
  zip(2, 12),
  zip(3, 14),
  one(4, { usualFor: ['piping cord'] }),
  one(5, { sort: 'staples', countedBy: 'pack', usualFor: ['staples'] }),
  zip(6, 22),
];

describe('a pad', () => {
  const pad = (id: number, wide: number, high: number) =>
    one(id, {
      sort: 'pad',
      countedBy: 'piece',
      widthNm: inches(wide),
      lengthNm: inches(high),
      usualFor: ['pad'],
    });
  const pads = [pad(1, 20, 20), pad(2, 16, 16), pad(3, 12, 20), pad(4, 18, 18)];
  const of = (wide: number, high: number) =>
    bindNotion({ name: 'pad', qty: 2, size: [inches(wide), inches(high)] }, pads).material?.id;

  // Common practice, no source: the next stock size that fills the form.
  test('is the smallest that is as large as the form, one way round or the other', () => {
    expect([of(16, 16), of(16.5, 16), of(20, 12), of(19, 19)]).toEqual([2, 4, 3, 1]);
    expect(of(24, 24)).toBeUndefined();
  });
});

describe('what a cover asks for', () => {
  test.each([
    // The shortest that is long enough; common practice, no source.
    [{ name: 'zip', qty: 4, length: inches(12) }, 2, 4],
    [{ name: 'zip', qty: 4, length: inches(12.5) }, 3, 4],
    [{ name: 'piping cord', qty: 2, length: inches(102) }, 4, inches(204)],
    [{ name: 'staples', qty: 130 }, 5, 130],
  ])('%o is taken from the workroom’s usual one', (need, id, quantity) => {
    expect(bindNotion(need, stock)).toMatchObject({ material: { id }, quantity });
  });

  test('a longer zip than any that is kept, or a notion that is not in the catalogue, is bound to nothing', () => {
    expect(bindNotion({ name: 'zip', qty: 1, length: inches(30) }, stock).material).toBeNull();
    expect(bindNotion({ name: 'snaps', qty: 3 }, stock)).toMatchObject({ material: null, quantity: 3 });
  });

  test('a line may take another than the usual one', () => {
    expect(bindNotion({ name: 'zip', qty: 1, length: inches(12), material: 6 }, stock).material!.id).toBe(6);
  });
});

test('is bought in whole packs and steps', () => {
  expect(roundedUp(130, 100)).toBe(200);
  expect(roundedUp(inches(204), inches(36))).toBe(inches(216));
  expect(roundedUp(7, 0)).toBe(7);
});

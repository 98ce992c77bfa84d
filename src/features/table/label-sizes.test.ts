import { expect, test } from 'vitest';
import { LABEL_SIZES, readOwnSize } from './label-sizes';

test.each(LABEL_SIZES.flatMap((size) => (size.page ? [[size.name, size, size.page] as const] : [])))(
  '%s: all labels lie on the page, none on another',
  (_, { width, height }, page) => {
    expect(page.left).toBeGreaterThanOrEqual(0);
    expect(page.top).toBeGreaterThanOrEqual(0);
    expect(page.left + page.columns * width).toBeLessThanOrEqual(page.width);
    expect(page.top + page.rows * height).toBeLessThanOrEqual(page.height);
  },
);

test('an own size is taken or refused in a sentence', () => {
  expect(readOwnSize('62', '29')).toMatch(/30 to 200 mm/);
  expect(readOwnSize('', '40')).toMatch(/30 to 200 mm/);
  expect(readOwnSize('62.5', '40')).toMatch(/whole/);
  expect(readOwnSize('62', '40')).toEqual({ width: 62, height: 40 });
});

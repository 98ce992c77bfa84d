import { expect, test } from 'vitest';
import { initialsOf, PERSON_COLOURS } from './form';

test.each([
  ['Dot Sluice', 'DS'],
  ['ada', 'AD'],
  ['Émile van der Weir', 'ÉV'],
  ['  Jo   Bargee  ', 'JB'],
  ['J', 'J'],
  ['𝔄da Weir', '𝔄W'],
  ['', ''],
])('the initials of “%s” are “%s”', (name, initials) => {
  expect(initialsOf(name)).toBe(initials);
});

/** Relative luminance and contrast as WCAG 2.2 defines them. */
const luminance = (colour: string) => {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const part = parseInt(colour.slice(i, i + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};

test.each(PERSON_COLOURS)('white letters can be read on %s (WCAG 2.2: 4.5 to 1)', (colour) => {
  expect(1.05 / (luminance(colour) + 0.05)).toBeGreaterThanOrEqual(4.5);
});

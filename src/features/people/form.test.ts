import { expect, test } from 'vitest';
import { contrastWithWhite } from '@/ui/testing/markup';
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

test.each(PERSON_COLOURS)('white letters can be read on %s (WCAG 2.2: 4.5 to 1)', (colour) => {
  expect(contrastWithWhite(colour)).toBeGreaterThanOrEqual(4.5);
});

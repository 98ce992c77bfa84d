import { describe, expect, test } from 'vitest';
import { Fractions, withFraction } from './fraction';
import { markup, textOf } from './testing/markup';

describe('a length is set with its fraction', () => {
  test.each([
    ['13 5/8', '13 5 ⁄ 8'],
    ['5/16', '5 ⁄ 16'],
    ['17', '17'],
    ['≈ 14 3/16 in', '≈ 14 3 ⁄ 16 in'],
    ['17 1/2 + 2 × 1/2 = 18 1/2', '17 1 ⁄ 2 + 2 × 1 ⁄ 2 = 18 1 ⁄ 2'],
    ['', ''],
    ['“03/04/2027” is not a day without doubt', '“03/04/2027” is not a day without doubt'],
    ['12/2027', '12/2027'],
  ])('“%s”', (text, read) => {
    expect(textOf(<Fractions>{text}</Fractions>)).toBe(read);
  });

  test('raised and lowered, and never broken from its whole number or its “about”', () => {
    const html = markup(<Fractions>≈ 13 5/8</Fractions>);
    expect(html).toBe('≈\u00a013\u202f<span class="frac"><sup>5</sup><i>⁄</i><sub>8</sub></span>');
  });

  test('in characters alone, for a drawing', () => {
    expect(withFraction('21 11/16')).toBe('21\u202f¹¹⁄₁₆');
    expect(withFraction('3/4')).toBe('\u202f³⁄₄');
    expect(withFraction('40.5')).toBe('40.5');
    expect(withFraction('3/4/2027')).toBe('3/4/2027');
  });
});

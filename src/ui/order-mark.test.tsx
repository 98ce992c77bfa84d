import { expect, test } from 'vitest';
import { markOf } from '@/core/cutlist';
import { MARK_COLOURS, markColour, markPath, OrderMark } from './order-mark';
import { attributes, contrastWithWhite, markup } from './testing/markup';

const ALL = Array.from({ length: 80 }, (_, mark) => mark);

test('eighty orders have eighty marks: no two share colour and sign', () => {
  expect(new Set(ALL.map((mark) => `${markColour(mark)} ${markPath(mark)}`)).size).toBe(80);
});

test('orders that follow each other share neither, so that one of the two is enough to tell them apart', () => {
  for (const no of ALL) {
    expect(markColour(markOf(no))).not.toBe(markColour(markOf(no + 1)));
    expect(markPath(markOf(no))).not.toBe(markPath(markOf(no + 1)));
  }
});

test('a mark is drawn with its sign and colour, and is not read out: its number stands beside it', () => {
  const html = markup(<OrderMark mark={7} size={24} />);
  expect(attributes(html, 'd')).toEqual([markPath(7)]);
  expect(attributes(html, 'fill')).toEqual([markColour(7)]);
  expect(html).toMatch(/aria-hidden="true"/);
  expect(attributes(html, 'width')).toEqual(['24']);
});

test.each(MARK_COLOURS)('%s can be told from white paper (WCAG 2.2, graphics: 3 to 1)', (colour) => {
  expect(contrastWithWhite(colour)).toBeGreaterThanOrEqual(3);
});

import { expect, test } from 'vitest';
import { markOf } from '@/core/cutlist';
import { MARK_COLOURS, markColour, markPath, OrderMark } from './order-mark';
import { attributes, markup } from './testing';

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
  const [r, g, b] = [1, 3, 5].map((i) => {
    const part = parseInt(colour.slice(i, i + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  expect(1.05 / (0.2126 * r + 0.7152 * g + 0.0722 * b + 0.05)).toBeGreaterThanOrEqual(3);
});

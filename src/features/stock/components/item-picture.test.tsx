import { describe, expect, test } from 'vitest';
import { NM } from '@/core/length';
import { attributes, markup, numbersOf } from '@/ui/testing/markup';
import type { ItemView } from '../queries';
import { ItemPicture } from './item-picture';

const item = (part: Partial<ItemView> = {}): ItemView =>
  ({
    id: 12,
    code: 'B12',
    isLength: true,
    widthNm: 1400 * NM.mm,
    lengthNm: 20 * NM.m,
    onHand: 20 * NM.m,
    reserved: 0,
    look: {
      pattern: 'stripe',
      ground: '#eee',
      figure: '#246',
      repeatAcross: 50 * NM.mm,
      repeatAlong: 0,
      drop: 0,
      motif: [0, 0],
    },
    motifNm: [10 * NM.mm, 0],
    flaws: [],
    outline: null,
    ...part,
  }) as ItemView;
const drawn = (part: Partial<ItemView> = {}) => markup(<ItemPicture item={item(part)} />);
/** The rectangles outside patterns: x and width (mm). */
const parts = (html: string) =>
  [...html.replace(/<defs>.*<\/defs>/s, '').matchAll(/<rect([^>]*)>/g)].map(([, tag]) => [
    Number(attributes(tag!, 'x')[0] ?? 0),
    Number(attributes(tag!, 'width')[0]),
  ]);

describe('a bolt lying along the screen', () => {
  test('is drawn to scale, in millimetres, with nothing gone at first', () => {
    expect(parts(drawn())).toEqual([[0, 20_000]]);
    expect(attributes(drawn(), 'aria-label')).toEqual(['B12 as it lies: what is gone, reserved and free']);
    expect(numbersOf(drawn()).filter((one) => !Number.isFinite(one))).toEqual([]);
  });

  test('what is gone lies at its end, what is reserved behind it', () => {
    expect(parts(drawn({ onHand: 12 * NM.m, reserved: 3 * NM.m }))).toEqual([
      [0, 20_000],
      [0, 8_000],
      [8_000, 3_000],
    ]);
  });

  test('all of it gone, and all of it reserved', () => {
    expect(parts(drawn({ onHand: 0 }))).toEqual([
      [0, 20_000],
      [0, 20_000],
    ]);
    expect(parts(drawn({ reserved: 20 * NM.m }))).toEqual([
      [0, 20_000],
      [0, 20_000],
    ]);
  });

  test('a count that found more than came draws nothing beyond the bolt', () => {
    expect(parts(drawn({ onHand: 25 * NM.m }))).toEqual([[0, 20_000]]);
  });

  test('a flaw lies where it was measured, and is never too small to be seen', () => {
    const [, [x, width]] = parts(drawn({ flaws: [[100 * NM.mm, 5_000 * NM.mm, 150 * NM.mm, 5_400 * NM.mm]] })) as [
      unknown,
      [number, number],
    ];
    expect([x, width]).toEqual([5_000, 400]);
    const [, [, least]] = parts(drawn({ flaws: [[0, 0, NM.mm, NM.mm]] })) as [unknown, [number, number]];
    expect(least).toBeGreaterThan(20);
  });

  test('an odd shape is drawn by its outline, its along to the right', () => {
    const html = drawn({
      outline: [
        [0, 0],
        [900 * NM.mm, 0],
        [500 * NM.mm, 1_200 * NM.mm],
      ],
    });
    expect(attributes(html, 'points')).toEqual(['0,0 0,900 1200,500']);
  });

  test('what is counted by the piece has no picture', () => {
    expect(drawn({ isLength: false })).toBe('');
    expect(drawn({ widthNm: null })).toBe('');
  });
});

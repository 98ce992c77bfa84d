import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { KINDS, sampleOf, takeOff, type CoverKind, type TakeOff } from '@/core/covers';
import { inches, NM } from '@/core/length';
import type { ClothLook } from '../cloth/cloth-shapes';
import { attributes, markup, numbersOf, textOf } from '../testing/markup';
import { CoverDrawing } from './cover-drawing';

const look: ClothLook = {
  pattern: 'leaf',
  ground: '#eee',
  figure: '#246',
  repeatAcross: inches(9),
  repeatAlong: inches(8),
  drop: 0.5,
  motif: [0, 0],
};
const made = (kind: CoverKind, measures = sampleOf(kind)): TakeOff | null => {
  const cover = takeOff(kind, { measures, options: {}, units: 'in' });
  return cover.ok ? cover.value : null;
};
const drawn = (kind: CoverKind, cover: TakeOff, rest = {}) => (
  <CoverDrawing kind={kind} cover={cover} units="in" id="x" look={look} {...rest} />
);

describe.each(KINDS.map((kind) => [kind.name, kind] as const))('%s', (_, kind) => {
  const cover = made(kind)!;

  test('is drawn within its picture, with nothing that is no number', () => {
    const html = markup(drawn(kind, cover));
    const numbers = numbersOf(html);
    expect(numbers.length).toBeGreaterThan(10);
    expect(numbers.filter((one) => !Number.isFinite(one))).toEqual([]);
    const [left, top, width, height] = attributes(html, 'viewBox')[0]!.split(' ').map(Number) as [
      number,
      number,
      number,
      number,
    ];
    expect([left, top]).toEqual([0, 0]);
    for (const [x, y] of [
      ['x1', 'y1'],
      ['x2', 'y2'],
    ] as const) {
      for (const at of attributes(html, x).map(Number)) expect(at >= 0 && at <= width).toBe(true);
      for (const at of attributes(html, y).map(Number)) expect(at >= 0 && at <= height).toBe(true);
    }
  });

  test('says its finished size to who sees it and who hears it', () => {
    const label = attributes(markup(drawn(kind, cover)), 'aria-label')[0]!;
    expect(label.startsWith(`${kind.name}, finished `)).toBe(true);
    const whole = String(Math.floor(cover.finished.width / NM.in));
    expect(label).toContain(whole);
    expect(textOf(drawn(kind, cover))).toContain(whole);
  });

  test('shows only what it is where no figures are asked for', () => {
    const html = markup(drawn(kind, cover, { isPlain: true }));
    expect(attributes(html, 'aria-label')[0]).toBe(`${kind.name}, finished`);
    expect(textOf(drawn(kind, cover, { isPlain: true }))).not.toMatch(/\d/);
  });

  test('of any size that can be made is drawn so: a needle, a wall, a cube', () => {
    const size = fc.integer({ min: 2, max: 90 }).map((inch) => inches(inch));
    fc.assert(
      fc.property(fc.tuple(...kind.measures.map(() => size)), (sizes) => {
        const one = made(kind, Object.fromEntries(kind.measures.map(({ id }, i) => [id, sizes[i]!])));
        fc.pre(one !== null);
        expect(numbersOf(markup(drawn(kind, one!))).filter((value) => !Number.isFinite(value))).toEqual([]);
      }),
      { numRuns: tries(6) },
    );
  });
});

test('a part that runs across is drawn with its pattern a quarter round', () => {
  const kind = KINDS.find(({ drawing }) => drawing === 'box')!;
  const cover = made(kind)!;
  const top = cover.pieces[0]!.name;
  const turned = (directions: Record<string, 'across' | 'along'>) =>
    (markup(drawn(kind, cover, { directions })).match(/rotate\(90\)/g) ?? []).length;
  expect(turned({})).toBe(0);
  expect(turned({ [top]: 'across' })).toBe(1);
  expect(turned({ [top]: 'along' })).toBe(0);
});

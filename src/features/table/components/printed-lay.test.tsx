import { describe, expect, test } from 'vitest';
import { inches, NM } from '@/core/length';
import { attributes, markup, numbersOf, textOf } from '@/ui/testing/markup';
import type { LayView, LayViewItem, LayViewLength } from '../lay-view';
import { heightOf, PrintedLay } from './printed-lay';

const ring = (x0: number, y0: number, x1: number, y1: number): [number, number][] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
const item = (key: string, box: [number, number, number, number], rest: Partial<LayViewItem> = {}): LayViewItem => ({
  key,
  copy: 1,
  orderNo: 31,
  line: '1',
  name: 'front',
  sum: ['', ''],
  sizeNm: [(box[2] - box[0]) * NM.mm, (box[3] - box[1]) * NM.mm],
  isStrip: false,
  turn: 0,
  ring: ring(...box),
  ...rest,
});
const length = (rest: Partial<LayViewLength> = {}): LayViewLength => ({
  code: 'roll',
  widthMm: 1371.6,
  selvageMm: [10, 12],
  shownMm: 1000,
  usedNm: 900 * NM.mm,
  boundNm: null,
  motifMm: [0, 0],
  flaws: [],
  outline: null,
  items: [item('a 1', [10, 0, 460, 480])],
  ...rest,
});
const lay = (lengths: LayViewLength[], rest: Partial<LayView> = {}) =>
  ({ id: 5, units: 'in', lengths, orders: [{ no: 31, mark: 2 }], ...rest }) as LayView;
const drawn = (one: LayView, pxPerMm = 1) => (
  <svg>
    <PrintedLay lay={one} pxPerMm={pxPerMm} gapMm={72} />
  </svg>
);
/** The polygons of the picture, as numbers. */
const polygons = (html: string) =>
  attributes(html, 'points').map((text) => text.split(' ').map((point) => point.split(',').map(Number)));

describe('a lay on paper', () => {
  test('lies as it lies along the table: along the bolt to the right, across it downwards', () => {
    const html = markup(drawn(lay([length({ items: [item('a 1', [10, 200, 460, 680])] })])));
    expect(polygons(html)).toEqual([
      [
        [200, 10],
        [200, 460],
        [680, 460],
        [680, 10],
      ],
    ]);
  });

  test('a piece says whose it is, what it is and how large, as far as it has the room', () => {
    const big = item('a 1', [10, 0, 460, 480]);
    expect(textOf(drawn(lay([length({ items: [big] })])))).toContain('31 front 17 ³⁄₄ × 18 ⁷⁄₈');
    // Half as large on the paper: the number alone; a tenth: nothing.
    expect(textOf(drawn(lay([length({ items: [item('a 1', [10, 0, 60, 70])] })])))).toMatch(/31 (?!front)/);
    expect(textOf(drawn(lay([length({ items: [item('a 1', [10, 0, 20, 20])] })])))).not.toContain('31');
  });

  test('says where it is cut off, and where it cannot be shorter only where that is elsewhere', () => {
    const crosses = (one: LayViewLength) => attributes(markup(drawn(lay([one]))), 'stroke-dasharray').length;
    expect(textOf(drawn(lay([length({ usedNm: inches(36) })])))).toContain('cut here 36');
    expect(crosses(length({ boundNm: 800 * NM.mm })) - crosses(length({ boundNm: 898 * NM.mm }))).toBe(1);
  });

  test('lengths lie below each other with room for the tape between, each by its name', () => {
    const two = [length({ code: 'B-21', widthMm: 1371.6 }), length({ code: 'R-3', widthMm: 600, shownMm: 500 })];
    expect(heightOf({ lengths: two }, 72)).toBeCloseTo(1371.6 + 72 + 600);
    const html = markup(drawn(lay(two)));
    expect(
      attributes(html, 'transform')
        .filter((text) => text.startsWith('translate(0 '))
        .slice(0, 1),
    ).toEqual(['translate(0 0)']);
    expect(html).toContain(`translate(0 ${1371.6 + 72})`);
    expect(textOf(drawn(lay(two)))).toMatch(/B-21: cut here.*R-3: cut here/);
    expect(textOf(drawn(lay([length()])))).not.toContain('the roll');
  });

  test('a remnant of odd shape and its flaws are drawn where they are; what lies behind the end is not', () => {
    const html = markup(
      drawn(
        lay([
          length({
            outline: [
              [0, 0],
              [600, 0],
              [300, 500],
            ],
            flaws: [
              [100, 50, 120, 90],
              [0, 2000, 5, 2010],
            ],
          }),
        ]),
      ),
    );
    expect(polygons(html)[0]).toEqual([
      [0, 0],
      [0, 600],
      [500, 300],
    ]);
    expect(html.match(/<title>flaw<\/title>/g)).toHaveLength(1);
    expect(html).toContain('x="50" y="100" width="40" height="20"');
  });

  test('selvages of two lays on one page have patterns of their own', () => {
    const ids = [5, 6].flatMap((id) =>
      attributes(markup(drawn(lay([length(), length({ code: 'B 2' })], { id }))), 'id'),
    );
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.every((id) => /^[\w-]+$/.test(id))).toBe(true);
  });
});

describe('a strip', () => {
  const bias: [number, number][] = [
    [100, 0],
    [140, 0],
    [840, 700],
    [800, 700],
  ];
  const strip = (points: [number, number][]) =>
    textOf(
      drawn(lay([length({ items: [item('s 1', [0, 0, 1, 1], { isStrip: true, name: 'piping', ring: points })] })])),
    );

  test('says whose it is along its long edge, never upside down', () => {
    for (const points of [bias, bias.toReversed(), bias.map(([x, y]): [number, number] => [1000 - x, y])]) {
      const one = item('s 1', [0, 0, 1, 1], { isStrip: true, name: 'piping', ring: points });
      const html = markup(drawn(lay([length({ items: [one] })])));
      const turns = attributes(html, 'transform')
        .flatMap((text) => /rotate\(([-\d.]+)\)/.exec(text)?.[1] ?? [])
        .map(Number);
      expect(turns.length).toBeGreaterThan(0);
      for (const turn of turns) expect(Math.abs(turn)).toBeLessThanOrEqual(90);
      expect(turns.some((turn) => Math.abs(Math.abs(turn) - 45) < 1e-6)).toBe(true);
    }
  });

  test('says less where it is short, and nothing where it is thin', () => {
    expect(strip(ring(0, 0, 20, 400))).toContain('31 piping');
    expect(strip(ring(0, 0, 20, 70))).not.toContain('piping');
    expect(strip(ring(0, 0, 20, 70))).toContain('31');
    expect(strip(ring(0, 0, 8, 400))).not.toContain('31');
  });
});

test.each([0.05, 0.3, 1, 4])(
  'at %d pixels a millimetre nothing of it is no number, and the tape’s numbers go up',
  (px) => {
    const one = lay([
      length({ shownMm: 4000, usedNm: 3500 * NM.mm, boundNm: 3000 * NM.mm, flaws: [[0, 3990, 30, 4100]] }),
    ]);
    expect(numbersOf(markup(drawn(one, px))).filter((value) => !Number.isFinite(value))).toEqual([]);
    const tape = [...markup(drawn(one, px)).matchAll(/y="17"[^>]*>(\d+)</g)].map(([, text]) => Number(text));
    expect(tape.length).toBeGreaterThan(0);
    expect(tape).toEqual([...tape].sort((a, b) => a - b));
  },
);

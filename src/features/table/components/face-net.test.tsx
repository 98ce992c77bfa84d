import { describe, expect, test } from 'vitest';
import { inches, NM } from '@/core/length';
import { attributes, markup, numbersOf } from '@/ui/testing/markup';
import type { ClothFace } from '../finished';
import { FaceNet } from './face-net';

const look = {
  pattern: 'leaf',
  ground: '#eee',
  figure: '#246',
  repeatAcross: inches(9),
  repeatAlong: inches(8),
  drop: 0,
  motif: [0, 0],
  photo: null,
} as const;
const face = (name: string, width: number, height: number, nth = 1, rest: Partial<ClothFace> = {}) =>
  ({
    name,
    nth,
    orderNo: '31',
    line: '1',
    cover: 1,
    width: inches(width),
    height: inches(height),
    seam: inches(0.5),
    outline: null,
    motif: [0, 0],
    toCloth: [1, 0, 0, 1, inches(3), inches(5)],
    cloth: '7',
    ...rest,
  }) as ClothFace;
const net = (faces: ClothFace[], drawing: 'box' | 'envelope') =>
  markup(<FaceNet faces={faces} looks={{ 7: { ...look, motif: [0, 0] } }} id="x" drawing={drawing} />);
/** Where the middle of each face lies (mm), and how it is turned. */
const places = (html: string) =>
  attributes(html, 'transform').flatMap((text) => {
    const found = /^translate\(([-\d.e]+) ([-\d.e]+)\) rotate\(([-\d.e]+)\)/.exec(text);
    return found ? [found.slice(1).map(Number)] : [];
  });
const mm = (length: number) => (length * NM.in) / NM.mm;

describe('a box laid open', () => {
  const faces = [
    face('top', 21, 17),
    face('boxing front', 21, 4),
    face('boxing side', 17, 4, 1),
    face('boxing side', 17, 4, 2),
  ];

  test('has its sides along the edges of its top, apart from it and from each other', () => {
    const [top, front, right, left] = places(net(faces, 'box'));
    expect(top).toEqual([0, 0, 0]);
    // The top is 16 in deep between its seams, the boxing 3 in; 12 mm between them.
    expect(front![0]).toBe(0);
    expect(front![1]).toBeCloseTo(mm(8 + 1.5) + 12);
    expect(right![0]).toBeCloseTo(mm(10 + 1.5) + 12);
    expect(left![0]).toBeCloseTo(-mm(10 + 1.5) - 12);
    expect([right![2], left![2]]).toEqual([-90, -270]);
  });

  test('everything lies within the picture', () => {
    const html = net(faces, 'box');
    const [x, y, width, height] = attributes(html, 'viewBox')[0]!.split(' ').map(Number) as [
      number,
      number,
      number,
      number,
    ];
    for (const [at, up] of places(html)) {
      expect(at).toBeGreaterThan(x);
      expect(at).toBeLessThan(x + width);
      expect(up).toBeGreaterThan(y);
      expect(up).toBeLessThan(y + height);
    }
    expect(numbersOf(html).filter((value) => !Number.isFinite(value))).toEqual([]);
  });
});

test('other covers lie in a row, none over another', () => {
  const html = net([face('front', 19, 19), face('back panel', 19, 12, 1), face('back panel', 19, 12, 2)], 'envelope');
  const xs = places(html).map(([x]) => x!);
  expect(xs[1]! - xs[0]!).toBeGreaterThan(mm(18));
  expect(xs[2]! - xs[1]!).toBeGreaterThan(mm(18));
  expect(attributes(html, 'aria-label')).toEqual(['Its faces laid open: front, back panel']);
});

test('a face shows the cloth that lies under it: the pattern is laid through the piece’s own place', () => {
  const html = net([face('front', 19, 19)], 'envelope');
  // The piece lies 3 in across and 5 in along, so the cloth begins so much before it.
  expect(html).toContain(`matrix(1 0 0 1 ${-mm(3)} ${-mm(5)})`);
});

test('what has no face is not drawn', () => expect(net([], 'box')).toBe(''));

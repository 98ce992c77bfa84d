import { describe, expect, test } from 'vitest';
import { inches, NM } from '../length';
import { readPhoto, tileFrom, type PhotoMarks, type Pixel, type Pixels } from './photo';

const mm = (n: number) => n * NM.mm;

/** Where a point of the cloth (mm across, along) is seen on a made-up photograph: so many pixels a mm, turned, its along up the picture. */
const camera = (perMm: number, degrees: number, at: Pixel) => {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return (across: number, along: number): Pixel => [
    at[0] + perMm * (across * cos - along * sin),
    at[1] - perMm * (across * sin + along * cos),
  ];
};

describe('what is marked', () => {
  test.each([
    ['straight above', 2, 0, 0],
    ['turned', 1.7, 13, 0.5],
    ['upside down', 3.1, 184, 1 / 3],
  ])('%s: repeat, drop and width are those of the cloth', (_, perMm, degrees, drop) => {
    const see = camera(perMm, degrees, [900, 1200]);
    const [across, along] = [260, 190];
    const marks: PhotoMarks = {
      across: [see(0, 0), see(2 * across, 2 * across * 0 + 2 * drop * along)],
      acrossRepeats: 2,
      along: [see(40, 10), see(40, 10 + 3 * along)],
      alongRepeats: 3,
      apart: mm(Math.hypot(2 * across, 2 * drop * along)),
      edges: [see(-310, 55), see(1060, 90)],
    };
    const read = readPhoto(marks)!;
    expect(read.across / NM.mm).toBeCloseTo(across, 3);
    expect(read.along / NM.mm).toBeCloseTo(along, 3);
    expect(read.drop).toBeCloseTo(drop, 6);
    expect(read.width! / NM.mm).toBeCloseTo(1370, 3);
  });

  test('a shaking hand: two pixels off, the repeat is right to half a percent and a half drop is one', () => {
    const see = camera(2, 4, [300, 1500]);
    const off = ([x, y]: Pixel, dx: number, dy: number): Pixel => [x + dx, y + dy];
    const read = readPhoto({
      across: [off(see(0, 0), 1.4, -1.4), off(see(300, 120), -1.4, 1)],
      acrossRepeats: 1,
      along: [off(see(0, 0), 1, 1), off(see(0, 240), -1, 1.4)],
      alongRepeats: 1,
      apart: mm(Math.hypot(300, 120)),
      edges: null,
    })!;
    expect(Math.abs(read.across / mm(300) - 1)).toBeLessThan(0.005);
    expect(Math.abs(read.along / mm(240) - 1)).toBeLessThan(0.012);
    expect(read.drop).toBe(0.5);
    expect(read.width).toBeNull();
  });

  test('marks that say nothing give nothing', () => {
    const good: PhotoMarks = {
      across: [
        [0, 0],
        [100, 0],
      ],
      acrossRepeats: 1,
      along: [
        [0, 0],
        [0, 80],
      ],
      alongRepeats: 1,
      apart: inches(10),
      edges: null,
    };
    expect(readPhoto(good)).not.toBeNull();
    expect(
      readPhoto({
        ...good,
        across: [
          [0, 0],
          [3, 0],
        ],
      }),
    ).toBeNull();
    expect(
      readPhoto({
        ...good,
        along: [
          [0, 0],
          [90, 1],
        ],
      }),
    ).toBeNull();
    expect(readPhoto({ ...good, apart: 0 })).toBeNull();
  });
});

test('the tile is one repeat squared up: the cloth’s own colours at each of its places', () => {
  // Colours that say where on the repeat a point lies.
  const [across, along] = [120, 90];
  const see = camera(2, 21, [420, 610]);
  const photo: Pixels = { width: 900, height: 900, data: new Uint8Array(900 * 900 * 3) };
  const cos = Math.cos((21 * Math.PI) / 180);
  const sin = Math.sin((21 * Math.PI) / 180);
  const wave = (part: number) => Math.round(127 + 100 * Math.sin(2 * Math.PI * part));
  for (let y = 0; y < 900; y++) {
    for (let x = 0; x < 900; x++) {
      const [dx, dy] = [(x + 0.5 - 420) / 2, -(y + 0.5 - 610) / 2];
      const [cx, cy] = [dx * cos + dy * sin, dy * cos - dx * sin];
      photo.data.set([wave(cx / across), wave(cy / along), 50], (y * 900 + x) * 3);
    }
  }
  const read = readPhoto({
    across: [see(0, 0), see(across, 0)],
    acrossRepeats: 1,
    along: [see(0, 0), see(0, along)],
    alongRepeats: 1,
    apart: mm(across),
    edges: null,
  })!;
  const tile = tileFrom(photo, read, 64, 48);
  let worst = 0;
  for (let j = 0; j < 48; j++)
    for (let i = 0; i < 64; i++) {
      const [s, t] = [(i + 0.5) / 64 - 0.5, (j + 0.5) / 48 - 0.5];
      worst = Math.max(
        worst,
        Math.abs(tile.data[(j * 64 + i) * 3]! - wave(s)),
        Math.abs(tile.data[(j * 64 + i) * 3 + 1]! - wave(t)),
      );
    }
  expect(worst).toBeLessThan(4);
});

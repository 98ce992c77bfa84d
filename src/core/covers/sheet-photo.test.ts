import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Pixel } from '../cloth/photo';
import { NM } from '../length';
import { formFromPhoto, refineCorners, type SheetPhoto } from './sheet-photo';

// Photographs made up with a known camera: a pinhole that looks down on a table at an angle. What comes out is held against the form
// that was put on that table.

interface Camera {
  /** Focal length (px), height (mm), tilt and turn (radians). */
  focal: number;
  high: number;
  tilt: number;
  turn: number;
  size: [width: number, height: number];
}
const CAMERA: Camera = { focal: 1400, high: 1300, tilt: 0.38, turn: 0.2, size: [1600, 1200] };

/** Where a point of the table (mm, y away from the viewer) falls on the picture. */
function shot({ focal, high, tilt, turn, size: [w, h] }: Camera, [x, y]: Pixel): Pixel {
  const [tx, ty] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
  // The camera looks at the table's middle from so high, tilted backwards.
  const depth = high + ty * Math.sin(tilt);
  return [w / 2 + (focal * tx) / depth, h / 2 - (focal * ty * Math.cos(tilt)) / depth];
}

/** A seat that bends at the front, in mm on the table, and an A4 sheet to its left. */
const SEAT: Pixel[] = [
  [-60, -180],
  [120, -220],
  [330, -170],
  [360, 40],
  [300, 190],
  [-40, 190],
];
const A4: Pixel[] = [
  [-400, -150],
  [-190, -150],
  [-190, 147],
  [-400, 147],
];

const sizesOf = (ring: readonly (readonly [number, number])[]) => {
  const size = (axis: 0 | 1) => Math.max(...ring.map((at) => at[axis])) - Math.min(...ring.map((at) => at[axis]));
  const round = ring.reduce((sum, [x, y], i) => sum + Math.hypot(x - ring.at(i - 1)![0], y - ring.at(i - 1)![1]), 0);
  const area = Math.abs(
    ring.reduce((sum, [x, y], i) => sum + (ring.at(i - 1)![0] * y - x * ring.at(i - 1)![1]), 0) / 2,
  );
  return { round, side: Math.sqrt(area), size: [size(0), size(1)] };
};
const edgesOf = (ring: readonly (readonly [number, number])[]) =>
  ring.map(([x, y], i) => Math.hypot(x - ring.at(i - 1)![0], y - ring.at(i - 1)![1]));
const value = (photo: SheetPhoto) => {
  const read = formFromPhoto(photo);
  if (!read.ok) throw new Error(read.faults[0]!.message);
  return read.value.map(([x, y]): Pixel => [x / NM.mm, y / NM.mm]);
};
const photoOf = (camera: Camera, rest: Partial<SheetPhoto> = {}): SheetPhoto => ({
  sheet: 'a4',
  corners: A4.map((at) => shot(camera, at)) as SheetPhoto['corners'],
  isSwapped: false,
  outline: SEAT.map((at) => shot(camera, at)),
  isSmooth: false,
  ...rest,
});

describe('a form beside a sheet of paper', () => {
  test('has its true edges whatever the camera’s angle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.7, noNaN: true }),
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: 900, max: 2200, noNaN: true }),
        (tilt, turn, focal) => {
          const found = edgesOf(value(photoOf({ ...CAMERA, tilt, turn, focal }, { isSwapped: false })));
          const true_ = edgesOf(SEAT);
          // The ring may begin at another corner and run the other way.
          const sorted = (all: number[]) => [...all].sort((a, b) => a - b);
          sorted(found).forEach((edge, i) => expect(edge / sorted(true_)[i]!).toBeCloseTo(1, 5));
        },
      ),
    );
  });

  test('is as it is seen from above, not mirrored: counter-clockwise in the same turn as on the table', () => {
    const ring = value(photoOf(CAMERA));
    const turn = (all: readonly Pixel[]) =>
      all.map(([x, y], i) => {
        const [ax, ay] = all.at(i - 1)!;
        const [bx, by] = all[(i + 1) % all.length]!;
        return Math.atan2((x - ax) * (by - y) - (y - ay) * (bx - x), (x - ax) * (bx - x) + (y - ay) * (by - y));
      });
    const [mine, theirs] = [turn(ring), turn(SEAT)];
    const begins = theirs.map((_, k) => theirs.map((__, i) => theirs[(i + k) % theirs.length]!));
    expect(begins.some((all) => all.every((angle, i) => Math.abs(angle - mine[i]!) < 1e-4))).toBe(true);
  });

  test('marked to whole pixels on a made-up photograph, the sheet’s corners 5 px off: sizes within 0.5 %', () => {
    const picture = rendered(CAMERA);
    const rough = photoOf(CAMERA).corners.map(([x, y], i): Pixel => [
      Math.round(x) + [5, -4, 3, -5][i]!,
      Math.round(y) + [-4, 5, 5, -3][i]!,
    ]) as SheetPhoto['corners'];
    const corners = refineCorners(picture, rough);
    photoOf(CAMERA).corners.forEach((at, i) =>
      expect(Math.hypot(at[0] - corners[i]![0], at[1] - corners[i]![1])).toBeLessThan(0.6),
    );
    const outline = SEAT.map((at) => shot(CAMERA, at).map(Math.round) as Pixel);
    const [found, seat] = [sizesOf(value(photoOf(CAMERA, { corners, outline }))), sizesOf(SEAT)];
    expect(Math.abs(found.round / seat.round - 1)).toBeLessThan(0.005);
    expect(Math.abs(found.side / seat.side - 1)).toBeLessThan(0.005);
    const edges = [edgesOf(value(photoOf(CAMERA, { corners, outline }))), edgesOf(SEAT)].map((all) =>
      [...all].sort((a, b) => a - b),
    );
    edges[0]!.forEach((edge, i) => expect(Math.abs(edge / edges[1]![i]! - 1)).toBeLessThan(0.005));
    // Unrefined marks would have been further off than that.
    const raw = sizesOf(value(photoOf(CAMERA, { corners: rough, outline })));
    expect(Math.abs(raw.round / seat.round - 1)).toBeGreaterThan(0.005);
  });

  test('a circle that is marked at twelve points comes out round, through a curve', () => {
    const circle = Array.from({ length: 12 }, (_, i): Pixel => [
      100 + 150 * Math.cos((i * Math.PI) / 6),
      150 * Math.sin((i * Math.PI) / 6),
    ]);
    const { round, side } = sizesOf(
      value(photoOf(CAMERA, { outline: circle.map((at) => shot(CAMERA, at)), isSmooth: true })),
    );
    expect(round / (2 * Math.PI * 150)).toBeCloseTo(1, 2);
    expect(side / Math.sqrt(Math.PI * 150 ** 2)).toBeCloseTo(1, 2);
  });

  test('a curve through as many points as may be marked is whole, and no more corners than an order takes', () => {
    const circle = Array.from({ length: 120 }, (_, i): Pixel => [
      100 + 150 * Math.cos((i * Math.PI) / 60),
      150 * Math.sin((i * Math.PI) / 60),
    ]);
    const ring = value(photoOf(CAMERA, { outline: circle.map((at) => shot(CAMERA, at)), isSmooth: true }));
    expect(ring.length).toBeLessThanOrEqual(500);
    expect(sizesOf(ring).round / (2 * Math.PI * 150)).toBeCloseTo(1, 3);
  });

  test('a sheet that lies the other way looks long where it is short: said by hand, it is right', () => {
    const steep = { ...CAMERA, tilt: 0.95, turn: 0, high: 1500 };
    const swapped = [true, false].map((isSwapped) => sizesOf(value(photoOf(steep, { isSwapped }))).round);
    expect(swapped.map((round) => Math.abs(round / sizesOf(SEAT).round - 1) < 1e-6)).toContain(true);
  });
});

test('marks that say nothing are refused in a sentence at their place', () => {
  const photo = photoOf(CAMERA);
  const outcome = (rest: Partial<SheetPhoto>) => {
    const read = formFromPhoto({ ...photo, ...rest });
    return read.ok ? null : [read.faults[0]!.field, read.faults[0]!.message];
  };
  const [a, b, c, d] = photo.corners;
  expect(outcome({ corners: [a, c, b, d] })).toEqual(['corners', expect.stringContaining('in turn')]);
  expect(outcome({ corners: [a, [a[0] + 5, a[1]], c, d] })).toEqual(['corners', expect.stringContaining('too small')]);
  expect(outcome({ outline: photo.outline.slice(0, 2) })).toEqual([
    'outline',
    expect.stringContaining('at least three'),
  ]);
  expect(outcome({ outline: Array.from({ length: 121 }, (): Pixel => [1, 1]) })![0]).toBe('outline');
  // Above the horizon of the table.
  expect(
    outcome({
      corners: [
        [400, 700],
        [700, 700],
        [620, 500],
        [480, 500],
      ],
      outline: [
        [500, 300],
        [600, -4000],
        [700, 300],
      ],
    }),
  ).toEqual(['outline', expect.stringContaining('nearer')]);
});

test('a sheet on a ground as bright as itself is left as it was marked', () => {
  const corners = photoOf(CAMERA).corners;
  const blank = { width: 1600, height: 1200, grey: new Uint8Array(1600 * 1200).fill(240) };
  expect(refineCorners(blank, corners)).toEqual(corners);
});

/** The photograph itself: a white sheet and a dark seat on a grained table, each pixel the mean of four places in it. */
function rendered(camera: Camera) {
  const [width, height] = camera.size;
  const [sheet, seat] = [A4, SEAT].map((ring) => ring.map((at) => shot(camera, at)));
  const grey = new Uint8Array(width * height);
  const [top, bottom] = [Math.min, Math.max].map((of) => of(...[...sheet!, ...seat!].map(([, y]) => y)));
  const table = (x: number) => 118 + 14 * Math.sin(x / 7);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      if (y + 1 < top! || y > bottom!) {
        grey[y * width + x] = table(x);
        continue;
      }
      for (const dx of [0.25, 0.75])
        for (const dy of [0.25, 0.75]) {
          const at: Pixel = [x + dx, y + dy];
          sum += isInside(sheet!, at) ? 236 : isInside(seat!, at) ? 60 : table(x);
        }
      grey[y * width + x] = sum / 4;
    }
  return { width, height, grey };
}

function isInside(ring: readonly Pixel[], [x, y]: Pixel): boolean {
  let inside = false;
  for (let i = 0; i < ring.length; i++) {
    const [[ax, ay], [bx, by]] = [ring[i]!, ring[(i + 1) % ring.length]!];
    if (ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay)) inside = !inside;
  }
  return inside;
}

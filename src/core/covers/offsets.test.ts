import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { inches, NM, type Nm } from '../length';
import { isSimple } from './outline';
import { batten, outlineFromOffsets, type Station } from './offsets';

const cm = (value: number): Nm => Math.round(value * NM.cm);
const mm = (value: number): Nm => Math.round(value * NM.mm);
const station = (at: Nm, left: Nm, right: Nm, isCorner = false): Station => ({ at, left, right, isCorner });
const made = (stations: Station[], isSmooth = true) => {
  const shape = outlineFromOffsets(stations, isSmooth);
  if (!shape.ok) throw new Error(shape.faults[0]!.message);
  return shape.value;
};
const areaOf = (ring: [Nm, Nm][]) =>
  ring.reduce((sum, [x, y], i) => sum + x * ring[(i + 1) % ring.length]![1] - y * ring[(i + 1) % ring.length]![0], 0) /
  2;

describe('a batten', () => {
  // Burden and Faires, Numerical Analysis, section 3.5, example 2: the natural spline through e^x at 0, 1, 2, 3.
  test('is the textbook’s natural spline', () => {
    const unit = 1e9;
    const curve = batten(
      [0, 1, 2, 3].map((x) => [x * unit, Math.round(Math.exp(x) * unit)]),
      1000,
    );
    const textbook = (x: number) => {
      const [a, b, c, d] = [
        [1, 1.466, 0, 0.25228],
        [2.71828, 2.22285, 0.75685, 1.69107],
        [7.38906, 8.80977, 5.83007, -1.94336],
      ][Math.min(2, Math.floor(x))]!;
      const t = x - Math.min(2, Math.floor(x));
      return a! + t * (b! + t * (c! + t * d!));
    };
    expect(curve.length).toBeGreaterThan(100);
    for (const [x, y] of curve) expect(Math.abs(y / unit - textbook(x / unit))).toBeLessThan(5e-5);
  });

  test('strays no further between its points than it says', () => {
    const points: [Nm, Nm][] = [
      [0, 0],
      [cm(30), cm(12)],
      [cm(45), cm(20)],
      [cm(90), cm(4)],
    ];
    const [coarse, fine] = [batten(points, mm(0.2)), batten(points, 100)];
    for (const [x, y] of fine) {
      const i = Math.max(
        1,
        coarse.findIndex(([at]) => at >= x),
      );
      const [[x0, y0], [x1, y1]] = [coarse[i - 1]!, coarse[i]!];
      expect(Math.abs(y0 + ((y1 - y0) * (x - x0)) / (x1 - x0) - y)).toBeLessThanOrEqual(mm(0.2) + 2);
    }
  });
});

describe('a form from offsets', () => {
  test('two stations make a straight-sided form, its left on the left', () => {
    const { ring, left, right } = made([station(0, inches(3), inches(5)), station(inches(12), inches(3), inches(10))]);
    expect(ring).toEqual([
      [inches(8), 0],
      [inches(13), inches(12)],
      [0, inches(12)],
      [0, 0],
    ]);
    expect([left, right]).toEqual([inches(12), inches(13)]);
  });

  // A round seat's front: a part of a circle of 90 cm radius, stations 5 cm apart.
  test('a part of a circle comes out as the circle', () => {
    const [radius, half] = [cm(90), cm(40)];
    const rise = (x: Nm) => Math.round(Math.sqrt(radius ** 2 - (x - half) ** 2) - Math.sqrt(radius ** 2 - half ** 2));
    const stations = Array.from({ length: 17 }, (_, i) => station(i * cm(5), cm(20), rise(i * cm(5)) + cm(10)));
    const { ring, right } = made(stations);
    const angle = 2 * Math.asin(half / radius);
    const segment = (radius ** 2 * (angle - Math.sin(angle))) / 2;
    expect(areaOf(ring) / (segment + cm(80) * cm(30))).toBeCloseTo(1, 3);
    expect(right / (radius * angle)).toBeCloseTo(1, 3);
    const off = ring.filter(([x]) => x > cm(25)).map(([x, y]) => Math.abs(x - cm(30) - rise(y)));
    expect(Math.max(...off)).toBeLessThan(mm(1));
  });

  test('every station lies on the form, and a corner stays one', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            gap: fc.integer({ min: 50, max: 600 }),
            left: fc.integer({ min: 250, max: 400 }),
            right: fc.integer({ min: 250, max: 400 }),
            isCorner: fc.boolean(),
          }),
          { minLength: 2, maxLength: 12 },
        ),
        fc.boolean(),
        (rows, isSmooth) => {
          let at = 0;
          const stations = rows.map(({ gap, left, right, isCorner }) =>
            station(mm((at += gap)), mm(left), mm(right), isCorner),
          );
          const { ring } = made(stations, isSmooth);
          const places = new Set(ring.map(String));
          const leftmost = Math.min(...ring.map(([x]) => x));
          expect(leftmost).toBe(0);
          const shift = ring.find(([, y]) => y === 0)![0] - stations[0]!.right;
          for (const { at: place, left, right } of stations) {
            expect(places.has(String([shift + right, place - stations[0]!.at]))).toBe(true);
            expect(places.has(String([shift - left, place - stations[0]!.at]))).toBe(true);
          }
          if (!isSmooth) expect(ring).toHaveLength(2 * stations.length);
        },
      ),
    );
  });

  test('an end may come to a point', () => {
    const { ring } = made([
      station(0, inches(9), inches(9)),
      station(inches(20), inches(8), inches(8)),
      station(inches(40), 0, 0),
    ]);
    expect(isSimple(ring)).toBe(true);
    expect(ring.filter(([, y]) => y === inches(40))).toHaveLength(1);
  });

  test('what can’t be a form is shown', () => {
    const warnings = (stations: Station[]) => {
      const shape = outlineFromOffsets(stations, true);
      return shape.ok ? 'made' : shape.faults[0]!.message;
    };
    expect(warnings([station(0, 1, 1)])).toMatch(/2 to 100 stations/);
    expect(warnings([station(0, 9, 9), station(9, 9, 9), station(9, 9, 9)])).toBe(
      'Station 3 does not lie further along the centre line than the one before it.',
    );
    expect(warnings([station(0, 9, 9), station(9, -1, 9)])).toMatch(/^Station 2: stretch/);
    expect(warnings([station(0, 9, 9), station(5, 0, 0), station(9, 9, 9)])).toMatch(/^Station 2 is nothing wide/);
    expect(warnings([station(0, 0, 0), station(9, 0, 0)])).toMatch(/nothing wide/);
  });
});

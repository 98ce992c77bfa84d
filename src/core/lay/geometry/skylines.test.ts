import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { Floors, Skylines } from './skylines';
import { comesApart, type Rect } from '../testing';

const WIDTH = 24;

/** How high a skyline is at each whole nanometre across. */
const heightsOf = ({ x, w, y, count, most }: Skylines, at: number): number[] =>
  Array.from({ length: count[at]! }, (_, s) => at * most + s).flatMap((i) => {
    expect(x[i]).toBe(i === at * most ? 0 : x[i - 1]! + w[i - 1]!);
    return Array.from({ length: w[i]! }, () => y[i]!);
  });

/** Heights with slits narrower than `least` filled up to their lower wall, one after another from the left. */
function filled(heights: readonly number[], least: number): { heights: number[]; area: number } {
  const next = [...heights];
  let area = 0;
  for (let from = 0, to = 0; from < WIDTH; from = to) {
    for (to = from; to < WIDTH && next[to] === next[from];) to++;
    const wall = Math.min(next[from - 1] ?? Infinity, next[to] ?? Infinity);
    if (to - from >= least || wall === Infinity || wall <= next[from]!) continue;
    area += (to - from) * (wall - next[from]!);
    next.fill(wall, from, to);
  }
  return { heights: next, area };
}

test('boxes laid into lowest segments leave what filling a row of heights leaves', () => {
  const box = fc.record({
    width: fc.integer({ min: 3, max: 12 }),
    height: fc.integer({ min: 1, max: 9 }),
    isRight: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(box, { maxLength: 20 }), (boxes) => {
      const least = 3;
      const skylines = new Skylines(2, WIDTH / least + 3);
      skylines.flatten(0, 0, WIDTH);
      let heights = new Array<number>(WIDTH).fill(0);
      let at = 0;
      for (const { width, height, isRight } of boxes) {
        const s = skylines.lowest(at);
        const i = at * skylines.most + s;
        const [sx, sw, sy] = [skylines.x[i]!, skylines.w[i]!, skylines.y[i]!];
        expect(sy).toBe(Math.min(...heights));
        if (width > sw) {
          const wall = skylines.wallOf(at, s);
          if (wall === Infinity) return;
          skylines.raise(at, s, wall);
          heights.fill(wall, sx, sx + sw);
        } else {
          const px = isRight ? sx + sw - width : sx;
          const area = skylines.lay(1 - at, skylines, at, s, px, width, sy + height, least);
          const next = filled(heights.with(px, sy).fill(sy + height, px, px + width), least);
          expect(area).toBe(next.area);
          heights = next.heights;
          at = 1 - at;
        }
        expect(heightsOf(skylines, at)).toEqual(heights);
        expect(skylines.highest(at)).toBe(Math.max(...heights));
        expect(skylines.openBelow(at, 300)).toBe(heights.reduce((sum, one) => sum + 300 - one, 0));
      }
    }),
    { numRuns: tries(300) },
  );
});

test('skylines that are alike have the same hash, others another one', () => {
  const skylines = new Skylines(40, 12);
  const hashes = new Map<number, string>();
  for (let px = 0; px <= 20; px += 4) {
    for (const [width, top] of [
      [4, 3],
      [4, 2 ** 32 + 3],
      [8, 3],
      [4, 4],
    ] as const) {
      skylines.flatten(0, 0, WIDTH);
      if (px + width > WIDTH) continue;
      skylines.lay(1, skylines, 0, 0, px, width, top, 1);
      const name = heightsOf(skylines, 1).join();
      const hash = skylines.hash(1);
      expect(hashes.get(hash) ?? name).toBe(name);
      hashes.set(hash, name);
      // The same from two halves.
      skylines.lay(2, skylines, 0, 0, px, width / 2, top, 1);
      const s = px > 0 ? 2 : 1;
      skylines.lay(3, skylines, 2, s, px + width / 2, width / 2, top, 1);
      expect(skylines.hash(3)).toBe(hash);
    }
  }
  expect(hashes.size).toBe(23);
});

test('with floors, whatever is laid on any segments comes apart by straight cuts', () => {
  const box = fc.record({
    at: fc.nat(),
    width: fc.integer({ min: 1, max: 12 }),
    height: fc.integer({ min: 1, max: 6 }),
    isRight: fc.boolean(),
  });
  let most = 0;
  fc.assert(
    fc.property(fc.array(box, { minLength: 1, maxLength: 24, size: 'max' }), (boxes) => {
      const floors = new Floors();
      floors.reset(0, WIDTH);
      const skylines = new Skylines(2, 60, floors);
      skylines.flatten(0, 0, WIDTH);
      let at = 0;
      const laid: Rect[] = [];
      for (const { at: pick, width, height, isRight } of boxes) {
        const s = pick % skylines.count[at]!;
        const i = at * skylines.most + s;
        const [sx, sw, sy] = [skylines.x[i]!, skylines.w[i]!, skylines.y[i]!];
        const w = Math.min(width, sw);
        const px = isRight ? sx + sw - w : sx;
        skylines.lay(1 - at, skylines, at, s, px, w, sy + height, 0);
        at = 1 - at;
        laid.push([px, sy, px + w, sy + height]);
      }
      expect(comesApart(laid)).toBe(true);
      most = Math.max(most, laid.length);
    }),
    { numRuns: tries(400) },
  );
  expect(most).toBeGreaterThan(15);
});

test('on a floor that is level all across the next parts lie as on the cloth itself, side by side on two floors they do not join', () => {
  const floors = new Floors();
  floors.reset(0, WIDTH);
  const skylines = new Skylines(4, 20, floors);
  skylines.flatten(0, 0, WIDTH);
  // Ten wide and 5 high, then 6 and 4 wide on it and 3 high each: level with one of 14 that is 8 high.
  skylines.lay(1, skylines, 0, 0, 0, 10, 5, 0);
  skylines.lay(2, skylines, 1, 0, 0, 6, 8, 0);
  expect(heightsOf(skylines, 2)).toEqual([...Array(6).fill(8), ...Array(4).fill(5), ...Array(14).fill(0)]);
  skylines.lay(3, skylines, 2, 1, 6, 4, 8, 0);
  // The two are one ground again, on the cloth's lower edge.
  expect(skylines.count[3]).toBe(2);
  expect(skylines.floor[3 * 20]).toBe(0);
  skylines.copy(0, 3);
  skylines.lay(1, skylines, 0, 1, 10, 14, 8, 0);
  expect(skylines.count[1]).toBe(1);
  // With 8 high beside the first one only, they stay apart.
  skylines.lay(0, skylines, 2, 2, 10, 14, 8, 0);
  expect(skylines.count[0]).toBe(3);
});

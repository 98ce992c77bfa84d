import fc from 'fast-check';
import { expect, test } from 'vitest';
import { Skylines } from './skylines';

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
  const box = fc.record({ width: fc.integer({ min: 3, max: 12 }), height: fc.integer({ min: 1, max: 9 }), isRight: fc.boolean() }); // prettier-ignore
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
    { numRuns: 300 },
  );
});

test('skylines that are alike have the same hash, others another one', () => {
  const skylines = new Skylines(40, 12);
  const hashes = new Map<number, string>();
  for (let px = 0; px <= 20; px += 4) {
    for (const [width, top] of [[4, 3], [4, 2 ** 32 + 3], [8, 3], [4, 4]] as const) {
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
  } // prettier-ignore
  expect(hashes.size).toBe(23);
});

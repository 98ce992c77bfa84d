import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { NM } from '../../../length';
import { Corners, BeamLevel } from './corners';
import { gatherClasses } from '../../search/part-classes';
import { pieceParts } from '../../model/parts';
import { jobOf } from '../../testing';

const [WIDTH, HEIGHT] = [24, 40];
const repeats = [
  { across: 6, along: 5, drop: 0 },
  { across: 6, along: 4, drop: 0.5 },
  { across: 4, along: 0, drop: 0 },
  { across: 0, along: 5, drop: 0 },
];
const side = fc.integer({ min: 2, max: 9 });
const pieceArb = fc.record({ size: fc.tuple(side, side), match: fc.constantFrom('none', 'none', 'at', 'group') });
const laidArb = fc.record({
  at: fc.nat(),
  width: fc.integer({ min: 2, max: 12 }),
  height: fc.integer({ min: 1, max: 9 }),
  isRight: fc.boolean(),
});
const caseArb = fc.record({
  pieces: fc.array(pieceArb, { minLength: 2, maxLength: 10 }),
  laid: fc.array(laidArb, { maxLength: 8 }),
  repeat: fc.constantFrom(...repeats),
  turns: fc.constantFrom('any', 'none'),
  motif: fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 5 })),
  phase: fc.option(fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 4 }))),
  gone: fc.array(fc.nat({ max: 9 }), { maxLength: 3 }),
  budget: fc.integer({ min: 0, max: 60 }),
  isForcing: fc.boolean(),
});

/** Tells whether two points of the cloth (in) are whole repeats apart: looked for column by column. */
function isRepeat([across, along, drop]: readonly number[], dx: number, dy: number): boolean {
  for (let i = -20; i <= 20; i++) {
    if (across! > 0 && dx !== i * across!) continue;
    if (along === 0 || (dy - i * drop! * along!) % along! === 0) return true;
  }
  return false;
}

test('the corner with the fewest choices is the one that trying all parts in all corners finds', () => {
  let forcedOnes = 0;
  fc.assert(
    fc.property(caseArb, ({ pieces, laid, repeat, turns, motif, phase, gone, budget, isForcing }) => {
      const job = jobOf({
        cloth: { name: 't', width: WIDTH, turns, repeat },
        stock: [{ id: 'bolt', motif }],
        // The first one makes the common length of all sides an inch.
        pieces: [{ size: [3, 5], match: 'none' }, ...pieces].map(({ size, match }, i) => ({
          id: `p${i}`,
          size,
          ...(match === 'at' && { match: { anchor: [1, 1], at: [i % 3, 2] } }),
          ...(match === 'group' && { match: { anchor: [0, 0], group: 'g', delta: [i % 4, 1] } }),
        })),
      });
      const parts = pieceParts(job);
      const { kinds, groups } = gatherClasses(job, parts);
      const corners = new Corners(job, kinds, WIDTH * NM.in, HEIGHT * NM.in);
      const level = new BeamLevel(1, 40, kinds.length, 2, null);
      const counts = kinds.map(({ members }) => members.length);
      for (const k of gone) if (k < counts.length) counts[k] = 0;
      level.start(0, WIDTH * NM.in, counts);
      level.phases[0] = Array.from({ length: groups }, () => phase && ([phase[0] * NM.in, phase[1] * NM.in] as const));
      level.open(1);
      const { skylines } = level;
      let slot = 0;
      for (const { at, width, height, isRight } of laid) {
        const i = slot * skylines.most + (at % skylines.count[slot]!);
        const [sx, sw, sy] = [skylines.x[i]!, skylines.w[i]!, skylines.y[i]!];
        const w = Math.min(width * NM.in, sw);
        skylines.lay(
          1 + (slot % 2),
          skylines,
          slot,
          at % skylines.count[slot]!,
          isRight ? sx + sw - w : sx,
          w,
          sy + height * NM.in,
          0,
        );
        slot = 1 + (slot % 2);
      }
      level.stateOf[slot] = 0;
      level.waste[slot] = 0;
      // A budget of more than a square inch, so that nothing has to fit exactly.
      corners.start({ height: HEIGHT * NM.in, budget: (budget + 1.5) * NM.in ** 2, isForcing }, null);
      const { fewest, forced } = corners.fewestChoices(level, slot);

      const lattice = [repeat.across, repeat.along, repeat.drop];
      const narrowest = Math.min(...kinds.flatMap(({ ways }) => ways.map(({ w }) => w))) / NM.in;
      const all: { bound: number; free: number }[] = [];
      const n = skylines.count[slot]!;
      const of = (list: Float64Array, s: number) => list[slot * skylines.most + s]! / NM.in;
      for (let s = 0; s < n; s++) {
        const [left, right] = [s > 0 ? of(skylines.y, s - 1) : Infinity, s < n - 1 ? of(skylines.y, s + 1) : Infinity];
        const [x, width, y] = [of(skylines.x, s), of(skylines.w, s), of(skylines.y, s)];
        if (left < y || right < y) continue;
        for (const isRight of [false, true]) {
          const found = { bound: 0, free: 0 };
          kinds.forEach(({ ways, members, fixed, group, shift }, kind) => {
            for (const way of ways) {
              const [w, h] = [way.w / NM.in, way.h / NM.in];
              const rest = width - w;
              if (counts[kind] === 0 || rest < 0 || y + h > HEIGHT) continue;
              const slit = rest < narrowest ? rest * (Math.min(y + h, isRight ? left : right) - y) : 0;
              if (slit > budget + 1.5) continue;
              const [ax, ay] = [
                (isRight ? x + rest : x) + shift[0] / NM.in - motif[0],
                y + shift[1] / NM.in - motif[1],
              ];
              const isKnown = fixed !== null || (group >= 0 && phase !== null);
              if (fixed && !isRepeat(lattice, ax, ay)) continue;
              if (!fixed && isKnown && !isRepeat(lattice, ax - phase![0], ay - phase![1])) continue;
              expect(members.length).toBeGreaterThan(0);
              found[isKnown ? 'bound' : 'free']++;
            }
          });
          all.push(found);
        }
      }
      const mustTake = isForcing ? all.filter(({ bound }) => bound > 0) : [];
      const others = all.filter((one) => !mustTake.includes(one));
      const least = (some: typeof all, count: (one: (typeof all)[number]) => number) => Math.min(...some.map(count));
      if (mustTake.length > 0) forcedOnes++;
      // Where one part alone must be taken, or nothing can be, the rest is not looked at.
      if (fewest?.count === 0) expect(least(others, ({ bound, free }) => bound + free)).toBe(0);
      else if (mustTake.length > 0) expect(forced!.count).toBe(least(mustTake, ({ bound }) => bound));
      else expect([forced, fewest!.count]).toEqual([null, least(others, ({ bound, free }) => bound + free)]);
    }),
    { numRuns: tries(600) },
  );
  expect(forcedOnes).toBeGreaterThan(40);
});

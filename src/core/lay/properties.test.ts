import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { NM } from '../length';
import { findFaults, lowerBound, readJob, type LayJob, type LayPlan } from './index';
import { allOf, jobArb, jobOf, lay, provenBound } from './testing';

type Json = Parameters<typeof jobOf>[0] & {
  cloth: { width: number; selvage: [number, number]; repeat?: { across: number; along: number; drop: number } };
  stock?: { id: string; width?: number; motif?: [number, number]; flaws?: number[][] }[];
  pieces: { id: string; size: [number, number]; match?: { at?: number[]; group?: string; delta?: number[] } }[];
};

/** The job seen in a mirror that stands along the cloth. */
function mirrored(json: object): Json {
  const { cloth, stock, pieces } = json as Json;
  const drop = cloth.repeat?.drop ?? 0;
  const flip = ([x, y]: number[]) => [-x!, y!];
  return {
    ...(json as Json),
    cloth: {
      ...cloth,
      selvage: [cloth.selvage[1], cloth.selvage[0]],
      repeat: cloth.repeat && { ...cloth.repeat, drop: drop === 0 ? 0 : 1 - drop },
    },
    // A length without a motif point has the pattern's at its left edge, which is now its right one.
    stock: (stock ?? [{ id: 'roll' }]).map(({ width = cloth.width, motif = [0, 0], flaws = [], ...one }) => ({
      ...one,
      width,
      ...(one.id !== 'rem' && { selvage: [cloth.selvage[1], cloth.selvage[0]] }),
      motif: [width - motif[0], motif[1]] as [number, number],
      flaws: flaws.map(([x, y, w, h]) => [width - x! - w!, y!, w!, h!]),
    })),
    pieces: pieces.map(({ match, ...piece }) => ({
      ...piece,
      ...(match?.at && { match: { at: flip(match.at) } }),
      ...(match?.group && { match: { group: match.group, delta: flip(match.delta ?? [0, 0]) } }),
    })),
  };
}

const mirroredPlan = (job: LayJob, plan: LayPlan, widths: Map<string, number>): LayPlan => ({
  ...plan,
  lays: plan.lays.map((one) => {
    const width = widths.get(one.stock)!;
    return {
      ...one,
      placed: one.placed.map((at) => {
        const { width: w, height: h } = job.pieces.find(({ id }) => id === at.piece)!;
        return { ...at, x: width - at.x - (at.turn % 180 === 0 ? w : h) };
      }),
      cuts: one.cuts.map((cut) => ({
        ...cut,
        outline: cut.outline.map(([x, y]) => [width - x, y]) as (typeof cut)['outline'],
      })),
    };
  }),
});

/** Tolerance of a short search: the lays of a job and of its like differ by this much. */
const NOISE = 1.12;

describe('a job in the mirror', () => {
  test('is bounded alike, and its mirrored lay is a lay of it', () => {
    fc.assert(
      fc.property(jobArb, (json) => {
        const [job, other] = [jobOf(json), jobOf(mirrored(json))];
        expect(lowerBound(other, allOf(other))).toBe(lowerBound(job, allOf(job)));
        const widths = new Map(
          (json.stock ?? [{ id: 'roll' }]).map((one) => [
            one.id,
            ((one as { width?: number }).width ?? json.cloth.width) * NM.in,
          ]),
        );
        const plan = lay(job, 25);
        expect(findFaults(other, mirroredPlan(job, plan, widths))).toEqual([]);
      }),
      { numRuns: tries(10) },
    );
  });

  test('takes about the same length: one way round is no better than the other on the whole', () => {
    const ratios = fc.sample(jobArb, { numRuns: tries(8), seed: 5 }).map((json) => {
      const free = { ...json, cut: 'free', stock: undefined, strips: [] };
      return lay(jobOf(mirrored(free)), 60).used / lay(jobOf(free), 60).used;
    });
    const mean = ratios.reduce((sum, one) => sum + one, 0) / ratios.length;
    expect(mean).toBeGreaterThan(0.95);
    expect(mean).toBeLessThan(1.05);
    expect(Math.max(...ratios)).toBeLessThan(1.4);
  });
});

test('a wider cloth needs no more length, but for what the search misses', () => {
  fc.assert(
    fc.property(jobArb, fc.integer({ min: 1, max: 20 }), (json, wider) => {
      const free = { ...json, stock: undefined, cloth: { ...json.cloth, repeat: undefined } };
      const narrow = lay(jobOf(free), 60);
      const wide = lay(jobOf({ ...free, cloth: { ...free.cloth, width: free.cloth.width + wider } }), 60);
      if (narrow.unplaced.length > 0) return;
      expect(wide.unplaced).toEqual([]);
      expect(wide.used).toBeLessThanOrEqual(narrow.used * NOISE + 2540);
    }),
    { numRuns: tries(8), seed: 7 },
  );
});

describe('locked pieces', () => {
  test('stay where they are, and the rest is laid round them: any lay may be locked in part', () => {
    fc.assert(
      fc.property(jobArb, fc.integer({ min: 1, max: 9 }), (json, every) => {
        const whole = lay(jobOf({ ...json, cut: 'free' }), 25);
        const placed = whole.lays
          .flatMap(({ stock, placed: some }) => some.map((one) => ({ ...one, stock })))
          .filter((_, i) => i % every === 0)
          .map((one) => ({ ...one, x: one.x / NM.in, y: one.y / NM.in }));
        const cuts = whole.lays
          .flatMap(({ stock, cuts: some }) => some.map((one) => ({ ...one, stock })))
          .filter(({ copy }) => copy % every === 0)
          .map(({ length, outline, ...one }) => ({
            ...one,
            length: length / NM.in,
            outline: outline.map((at) => at.map((nm) => nm / NM.in)),
          }));
        const job = jobOf({ ...json, cut: 'free', placed: [...placed, ...cuts] });
        expect([job.locked.length, job.lockedCuts.length]).toEqual([placed.length, cuts.length]);
        const plan = lay(job, 25);
        expect(findFaults(job, plan)).toEqual([]);
        for (const { strip, copy, outline } of job.lockedCuts)
          expect(plan.lays.flatMap((one) => one.cuts)).toContainEqual(
            expect.objectContaining({ strip, copy, outline }),
          );
        if (plan.unplaced.length === 0) expect(provenBound(job)).toBeLessThanOrEqual(plan.used);
      }),
      { numRuns: tries(5) },
    );
  });

  test('with straight cuts the rest lies behind them', () => {
    const job = jobOf({
      cut: 'straight',
      pieces: [{ id: 'a', size: [10, 12], qty: 12 }],
      placed: [{ piece: 'a', copy: 5, x: 0.5, y: 0 }],
    });
    const plan = lay(job, 60);
    // Five abreast: the locked one, then three rows of the other eleven.
    expect(plan.used / NM.in).toBe(48);
    expect(plan.lays[0]!.placed.filter(({ y }) => y < 12 * NM.in)).toHaveLength(1);
  });

  test('an outline that is locked is laid round, not its box', () => {
    const triangle = {
      id: 't',
      outline: [
        [0, 0],
        [40, 0],
        [0, 40],
      ],
      qty: 1,
    };
    const job = jobOf({
      cloth: { name: 't', width: 40, turns: 'none' },
      pieces: [triangle, { id: 'a', size: [18, 18], qty: 1 }],
      placed: [{ piece: 't', x: 0, y: 0 }],
    });
    expect(lay(job, 60).used / NM.in).toBe(40);
  });

  test('a strip on the bias that is locked is laid round, not its box', () => {
    // The corner beside a long cut on the bias holds a square that its box would keep out.
    const job = jobOf({
      cloth: { name: 't', width: 40, turns: 'none' },
      pieces: [{ id: 'a', size: [18, 18], qty: 1 }],
      strips: [{ id: 's', width: 1, length: 50, grain: 'bias' }],
      placed: [
        {
          strip: 's',
          length: 50,
          outline: [
            [0, 0],
            [35.355339, 35.355339],
            [35.355339, 36.769553],
            [0, 1.414214],
          ],
        },
      ],
    });
    const plan = lay(job, 60);
    expect(plan.unplaced).toEqual([]);
    expect(plan.used / NM.in).toBeCloseTo(36.7696, 3);
  });

  test.each([
    ['placed[0].piece', [{ piece: 'z', x: 1, y: 0 }]],
    ['placed[0].stock', [{ piece: 'a', x: 1, y: 0, stock: 'attic' }]],
    ['placed[0].copy', [{ piece: 'a', copy: 4, x: 1, y: 0 }]],
    ['placed[0].turn', [{ piece: 'a', x: 1, y: 0, turn: 90 }]],
    ['placed[0].x', [{ piece: 'a', x: '1', y: 0 }]],
    [
      'placed[1].copy',
      [
        { piece: 'a', x: 1, y: 0 },
        { piece: 'a', x: 20, y: 0 },
      ],
    ],
    [
      'placed',
      [
        { piece: 'a', x: 1, y: 0 },
        { piece: 'a', copy: 2, x: 10, y: 11 },
      ],
    ],
    ['placed', [{ piece: 'a', x: 0.25, y: 0 }]],
    ['placed', [{ piece: 'a', x: 1, y: -1 }]],
    ['placed[0]', [{ piece: 'a', strip: 's', x: 1, y: 0 }]],
    [
      'placed[0].strip',
      [
        {
          strip: 'z',
          length: 20,
          outline: [
            [1, 0],
            [21, 0],
            [21, 2],
            [1, 2],
          ],
        },
      ],
    ],
    [
      'placed[0].outline',
      [
        {
          strip: 's',
          length: 20,
          outline: [
            [1, 0],
            [21, 0],
            [21, 2],
          ],
        },
      ],
    ],
    [
      'placed[0].copy',
      [
        {
          strip: 's',
          copy: 2,
          length: 20,
          outline: [
            [1, 0],
            [21, 0],
            [21, 2],
            [1, 2],
          ],
        },
      ],
    ],
    // Half of what the strip is joined from, and cuts that aren't as the strip is.
    [
      'placed',
      [
        {
          strip: 's',
          length: 10,
          outline: [
            [1, 0],
            [11, 0],
            [11, 2],
            [1, 2],
          ],
        },
      ],
    ],
    [
      'placed',
      [
        {
          strip: 's',
          length: 20,
          outline: [
            [1, 0],
            [21, 0],
            [21, 3],
            [1, 3],
          ],
        },
      ],
    ],
  ])('a lock that can’t be is refused at %s', (field, placed) => {
    const json = readJob({
      format: 'jolly-bolt/lay-job',
      version: 1,
      units: 'in',
      cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'half' },
      pieces: [{ id: 'a', size: [10, 12], qty: 3 }],
      strips: [{ id: 's', width: 2, length: 20, grain: 'across' }],
      placed,
    });
    expect(json.ok).toBe(false);
    if (!json.ok) expect(json.faults[0]!.field).toBe(field);
  });
});

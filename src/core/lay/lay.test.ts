import fc from 'fast-check';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { PUBLISHED, publishedJob } from '@/bench/jobs';
import { inches, NM } from '../length';
import { findFaults, handLength, nest, planToJson, readJob, type LayPlan, type NestProgress } from './index';
import { jobArb, jobOf, lay, provenBound } from './testing';

const usedInches = (rest: object, steps?: number) => lay(jobOf(rest), steps).used / NM.in;

describe('small lays whose best length is plain', () => {
  test('two cushions side by side', () => {
    expect(usedInches({ pieces: [{ id: 'a', size: [26.5, 10], qty: 4 }] })).toBe(20);
  });

  test('a gap keeps pieces apart but not from the edges', () => {
    expect(usedInches({ gap: 0.5, pieces: [{ id: 'a', size: [26.25, 10], qty: 4 }] })).toBe(20.5);
    expect(usedInches({ gap: 0.5, pieces: [{ id: 'a', size: [26.5, 10], qty: 2 }] })).toBe(20.5);
  });

  test('a nap keeps a long piece long; a cloth that turns lets it lie across', () => {
    const pieces = [{ id: 'a', size: [10, 50], qty: 1 }];
    expect(usedInches({ pieces })).toBe(50);
    expect(usedInches({ pieces, cloth: { name: 't', width: 54, turns: 'any' } })).toBe(10);
    expect(
      usedInches({ pieces: [{ ...pieces[0], turns: 'half' }], cloth: { name: 't', width: 54, turns: 'any' } }),
    ).toBe(50);
  });

  test('matched fronts step by whole repeats, and what is not matched fills the steps', () => {
    const cloth = { name: 't', width: 20, turns: 'none', repeat: { across: 0, along: 12, drop: 0 } };
    const fronts = { id: 'front', size: [20, 10], qty: 3, match: { group: 'g' } };
    expect(usedInches({ cloth, pieces: [fronts] })).toBe(34);
    expect(usedInches({ cloth, pieces: [fronts, { id: 'fill', size: [20, 2], qty: 2 }] })).toBe(34);
  });

  test('a fixed match puts the anchor on the motif, half drop included', () => {
    const job = jobOf({
      cloth: { name: 't', width: 30, turns: 'none', repeat: { across: 10, along: 8, drop: 0.5 } },
      pieces: [{ id: 'a', size: [6, 6], qty: 3, match: { at: [0, 0] } }],
    });
    const plan = lay(job);
    for (const { x, y } of plan.lays[0]!.placed) {
      const column = Math.round((x + inches(3)) / inches(10));
      expect((x + inches(3)) % inches(10)).toBe(0);
      expect((y + inches(3) - column * inches(4)) % inches(8)).toBe(0);
    }
    // Columns at 10 and 20: the first motif that holds a 6 in piece lies 4 and 8 up, the third piece a repeat above.
    expect(plan.used / NM.in).toBe(15);
  });

  test('remnants are filled before the bolt, flaws are left out', () => {
    const plan = lay(
      jobOf({
        stock: [{ id: 'rem', length: 20, width: 30, flaws: [[10, 0, 1, 1]] }, { id: 'bolt' }],
        pieces: [{ id: 'a', size: [10, 20], qty: 3 }],
      }),
    );
    expect(plan.lays.map(({ stock, placed, used }) => [stock, placed.length, used / NM.in])).toEqual([
      ['rem', 2, 20],
      ['bolt', 1, 20],
    ]);
  });

  test.each(['across', 'bias'] as const)('a strip that only a wider remnant can give is cut from that, %s', (grain) => {
    const stock = [
      { id: 'wide', length: 60 },
      { id: 'narrow', length: 200, width: 20 },
    ];
    const job = jobOf({ stock, pieces: [], strips: [{ id: 's', width: 2, length: 90, grain, least: 40 }] });
    const { lays, unplaced } = lay(job);
    expect(unplaced).toEqual([]);
    expect(lays.map(({ stock: id }) => id)).toEqual(['wide']);
    expect(lays[0]!.cuts.reduce((sum, { length }) => sum + length, 0)).toBeGreaterThanOrEqual(inches(90) - 2540);
  });

  test('what fits nowhere is unplaced with the reason', () => {
    const wide = lay(
      jobOf({
        pieces: [
          { id: 'a', size: [60, 20] },
          { id: 'b', size: [10, 10] },
        ],
      }),
    );
    expect(wide.unplaced).toEqual([{ piece: 'a', copy: 1, why: 'no stock length is wide enough' }]);
    expect(wide.used).toBe(inches(10));
    const short = lay(
      jobOf({
        stock: [{ id: 'rem', length: 15 }],
        pieces: [
          { id: 'a', size: [50, 10], qty: 2 },
          { id: 'b', size: [5, 20] },
        ],
      }),
    );
    expect(short.unplaced).toHaveLength(2);
    expect(short.unplaced.map(({ why }) => why).sort()).toEqual([
      'no stock length has room left for it',
      'no stock length is long enough',
    ]);
    const strip = lay(jobOf({ strips: [{ id: 's', width: 2, length: 300, grain: 'bias', least: 90 }], pieces: [] }));
    expect(strip.unplaced).toEqual([{ strip: 's', copy: 1, why: 'its shortest cut is longer than any cut can be' }]);
    expect(strip.bound).toBe(0);
  });

  test('the same seed gives the same plan, and one piece or a thousand alike make no trouble', () => {
    const job = jobOf({
      pieces: [
        { id: 'a', size: [7, 9], qty: 30 },
        { id: 'b', size: [11, 4], qty: 20 },
      ],
    });
    expect(lay(job, 300)).toEqual(lay(job, 300));
    expect(lay(jobOf({ pieces: [{ id: 'a', size: [5.3, 1], qty: 1000 }] }), 5).used).toBe(inches(100));
  });

  test('cancelling keeps the best lay so far', () => {
    let asked = 0;
    const plan = nest(jobOf({ pieces: [{ id: 'a', size: [7, 9], qty: 30 }] }), {
      isCancelled: () => ++asked > 3,
      steps: 1e6,
    });
    expect(plan.ok && plan.value.lays[0]!.placed.length).toBe(30);
  });

  test('better lays are shown as they are found, with what lies where', () => {
    const job = jobOf({
      pieces: [
        { id: 'a', size: [20, 13], qty: 9 },
        {
          id: 't',
          outline: [
            [0, 0],
            [30, 0],
            [0, 20],
          ],
          qty: 4,
        },
      ],
      strips: [{ id: 's', width: 2, length: 150, grain: 'bias', loss: 2 }],
    });
    let time = 0;
    const progress: NestProgress[] = [];
    const plan = nest(job, { seconds: 60, clock: () => (time += 40), onProgress: (one) => progress.push(one) });
    if (!plan.ok) throw new Error('refused');
    const sketches = progress.filter(({ sketch }) => sketch);
    expect(sketches.length).toBeGreaterThan(0);
    // Never longer than before, and each sketch reaches as far as it says and holds every piece and cut.
    progress.forEach(({ used }, i) => expect(used).toBeLessThanOrEqual(progress[i - 1]?.used ?? Infinity));
    for (const { used, sketch } of sketches) {
      const corners = sketch!.rings.flatMap(({ ring }) => ring);
      expect(Math.max(...corners.map(([, y]) => y))).toBe(used);
      expect(Math.min(...corners.map(([x]) => x))).toBeGreaterThanOrEqual(0);
      expect(Math.max(...corners.map(([x]) => x))).toBeLessThanOrEqual(sketch!.width);
      expect(sketch!.rings.filter(({ isStrip }) => !isStrip)).toHaveLength(13);
      expect(sketch!.rings.some(({ isStrip }) => isStrip)).toBe(true);
    }
    expect(plan.value.used).toBeLessThanOrEqual(progress.at(-1)!.used);
  });

  test('straight cutting gives a lay that comes apart by edge-to-edge cuts, a pinwheel is refused by the check', () => {
    const pieces = [
      { id: 'p', size: [20, 10], qty: 4 },
      { id: 'core', size: [10, 10] },
    ];
    const straight = jobOf({ cloth: { name: 't', width: 30, turns: 'any' }, pieces, cut: 'straight' });
    const at = (piece: string, copy: number, x: number, y: number, turn: number) => ({
      piece,
      copy,
      x: inches(x),
      y: inches(y),
      turn,
    });
    const placed = [
      at('p', 1, 0, 0, 0),
      at('p', 2, 20, 0, 90),
      at('p', 3, 10, 20, 0),
      at('p', 4, 0, 10, 90),
      at('core', 1, 10, 10, 0),
    ];
    const pinwheel = {
      lays: [{ stock: 'roll', used: inches(30), placed, cuts: [] }],
      unplaced: [],
      used: inches(30),
      endless: inches(30),
      bound: inches(30),
      passes: 0,
      refused: 0,
    };
    expect(findFaults(straight, pinwheel).map(({ kind }) => kind)).toEqual(['straight']);
    expect(findFaults(straight, lay(straight, 400))).toEqual([]);
    expect(lay(straight, 400).used).toBe(inches(30));
  });

  test('pieces with an outline lie inside their boxes; an odd remnant is used only inside its outline', () => {
    const pieces = [
      {
        id: 'tri',
        outline: [
          [0, 0],
          [20, 0],
          [0, 12],
        ],
        qty: 3,
      },
      { id: 'b', size: [8, 8], qty: 4 },
    ];
    const plan = lay(
      jobOf({
        pieces,
        stock: [
          {
            id: 'hide',
            length: 30,
            width: 40,
            outline: [
              [20, 0],
              [40, 15],
              [20, 30],
              [0, 15],
            ],
          },
          { id: 'bolt' },
        ],
      }),
    );
    expect(plan.unplaced).toEqual([]);
    expect(plan.lays.map(({ stock }) => stock)).toEqual(['hide', 'bolt']);
  });
});

describe('published strip-packing instances are laid at their optimum', () => {
  // Hopper and Turton, "An empirical investigation of meta-heuristic and heuristic algorithms for a 2D packing
  // problem" (2001), set C; the values are from memory, checked by their area. Optimum: the area over the width.
  test.each(PUBLISHED)('$name', (instance) => {
    const { width, best, sizes } = instance;
    expect(sizes.reduce((sum, [w, h, qty = 1]) => sum + w * h * qty, 0)).toBe(width * best);
    expect(lay(publishedJob(instance), 20_000).used / NM.in).toBe(best);
  });
});

describe('random jobs', () => {
  test('every plan is valid and not below its bound', () => {
    fc.assert(
      fc.property(jobArb, (json) => {
        const job = jobOf(json);
        const plan = lay(job, 25);
        expect(findFaults(job, plan)).toEqual([]);
        if (plan.unplaced.length === 0) expect(provenBound(job)).toBeLessThanOrEqual(plan.used);
      }),
      { numRuns: tries(8) },
    );
  });

  test('never longer than laid by hand, shelf by shelf', () => {
    fc.assert(
      fc.property(jobArb, (json) => {
        const job = jobOf({ ...json, stock: undefined, cut: 'free' });
        expect(lay(job, 80).used).toBeLessThanOrEqual(handLength(job) + 2540);
      }),
      // A heuristic's promise: checked on a fixed sample.
      { numRuns: tries(8), seed: 11 },
    );
  });
});

describe('the plan’s own check finds what is wrong', () => {
  const job = jobOf({
    pieces: [{ id: 'a', size: [10, 10], qty: 2 }],
    strips: [{ id: 's', width: 2, length: 20, grain: 'across' }],
    stock: [{ id: 'roll', flaws: [[40, 40, 2, 2]] }],
  });
  const good = lay(job);
  const broken = (change: (plan: LayPlan) => void) => {
    const plan = structuredClone(good);
    change(plan);
    return [...new Set(findFaults(job, plan).map(({ kind }) => kind))];
  };
  const first = (plan: LayPlan) => plan.lays[0]!.placed[0]!;

  test('nothing on a good plan', () => expect(findFaults(job, good)).toEqual([]));

  test.each<[string, string, (plan: LayPlan) => void]>([
    ['overlap', 'a piece on its twin', (p) => Object.assign(p.lays[0]!.placed[1]!, { x: first(p).x, y: first(p).y })],
    [
      'overlap',
      'a cut with a corner twice, on a piece',
      (p) => {
        const { x, y } = first(p);
        const [w, h] = [inches(10), inches(2)];
        p.lays[0]!.cuts[0]!.outline = [
          [x, y],
          [x, y],
          [x + w, y],
          [x + w, y + h],
        ];
      },
    ],
    [
      'width',
      'over the selvage',
      (p) => {
        first(p).x = -10_000;
      },
    ],
    [
      'length',
      'before the cut end',
      (p) => {
        first(p).y -= 10_000;
      },
    ],
    [
      'flaw',
      'on a flaw',
      (p) => {
        Object.assign(first(p), { x: inches(35), y: inches(35) });
      },
    ],
    [
      'turn',
      'a quarter turn',
      (p) => {
        first(p).turn = 90;
      },
    ],
    [
      'copies',
      'a copy left out',
      (p) => {
        p.lays[0]!.placed.pop();
      },
    ],
    [
      'copies',
      'a copy unplaced without a reason',
      (p) => {
        const { piece, copy } = p.lays[0]!.placed.pop()!;
        p.unplaced.push({ piece, copy, why: '' });
      },
    ],
    [
      'strip',
      'a strip too short',
      (p) => {
        p.lays[0]!.cuts[0]!.length /= 2;
      },
    ],
    [
      'used',
      'used told too short',
      (p) => {
        p.lays[0]!.used -= 10_000;
      },
    ],
    [
      'bound',
      'a bound above used',
      (p) => {
        p.bound = p.used + 10_000;
      },
    ],
    [
      'stock',
      'an unknown stock',
      (p) => {
        p.lays[0]!.stock = 'x';
      },
    ],
  ])('%s: %s', (kind, _, change) => expect(broken(change)).toContain(kind));

  test('a phase that is off, a gap that is too small', () => {
    const matched = jobOf({
      gap: 1,
      cloth: { name: 't', width: 54, turns: 'none', repeat: { across: 5, along: 5 } },
      pieces: [{ id: 'a', size: [4, 4], qty: 2, match: { group: 'g' } }],
    });
    const plan = lay(matched);
    plan.lays[0]!.placed[1]!.x -= inches(0.5);
    expect(findFaults(matched, plan).map(({ kind }) => kind)).toContain('phase');
    const close = jobOf({ gap: 1, pieces: [{ id: 'a', size: [4, 4], qty: 2 }] });
    const tight = lay(close);
    Object.assign(tight.lays[0]!.placed[1]!, { x: tight.lays[0]!.placed[0]!.x + inches(4.5), y: 0 });
    expect(findFaults(close, tight).map(({ kind }) => kind)).toEqual(['gap']);
  });
});

const BENCH = new URL('../../../../shared/bench/', import.meta.url);

const hasBench = existsSync(BENCH);

describe.runIf(hasBench)('the development jobs, judged from outside', async () => {
  if (!hasBench) return;
  const { checkPlan } = await import(/* @vite-ignore */ new URL('check-plan.mjs', BENCH).href);
  const files = readdirSync(new URL('dev/', BENCH)).filter((file) =>
    /^(published|perfect|workroom|stock|shapes)/.test(file),
  );

  test.each(files)('%s', (file) => {
    const json = JSON.parse(readFileSync(new URL(`dev/${file}`, BENCH), 'utf8'));
    const job = readJob(json);
    if (!job.ok) throw new Error(job.faults[0]!.message);
    const plan = nest(job.value, { steps: 4 });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    const verdict = checkPlan(json, planToJson(plan.value, job.value.units));
    expect(verdict.faults ?? []).toEqual([]);
    expect(verdict.unplaced).toBe(0);
  });
});

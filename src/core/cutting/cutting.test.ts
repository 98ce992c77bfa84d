import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { latticeOf } from '../cloth';
import { nest, type LayJob, type LayPlan, type Point } from '../lay';
import { jobArb, jobOf } from '../lay/testing';
import { inches } from '../length';
import { drawPlan, type LayDrawing } from '../marker';
import { orderOfCuts, type CutStep } from './index';

const PLAIN = { lattice: null, mayStack: true };
const FREEING = ['piece', 'strips', 'around'];

/** A job of rectangles on a plain 54 in roll, and a plan that puts them where the test says (inches). */
function lie(placed: { id?: string; at: [number, number]; size: [number, number] }[], used: number) {
  const pieces = placed.map(({ id, size }, i) => ({
    id: id ?? `p${i}`,
    qty: 1,
    width: inches(size[0]),
    height: inches(size[1]),
    outline: null,
    turns: [0],
    match: null,
  }));
  const job: LayJob = {
    units: 'in',
    clothName: 't',
    lattice: null,
    stock: [
      { id: 'roll', length: Infinity, left: inches(0.5), right: inches(53.5), motif: [0, 0], flaws: [], outline: null },
    ],
    gap: 0,
    straight: false,
    pieces: [...new Map(pieces.map((piece) => [piece.id, piece])).values()],
    strips: [],
    locked: [],
    lockedCuts: [],
    search: { seconds: 1, seed: 1 },
  };
  const copies = new Map<string, number>();
  const plan = {
    lays: [
      {
        stock: 'roll',
        used: inches(used),
        placed: placed.map(({ at: [x, y] }, i) => {
          const { id } = pieces[i]!;
          copies.set(id, (copies.get(id) ?? 0) + 1);
          return { piece: id, copy: copies.get(id)!, x: inches(x), y: inches(y), turn: 0 };
        }),
        cuts: [],
      },
    ],
    unplaced: [],
  } as unknown as LayPlan;
  return { job, plan };
}

const inchesOf = (nm: number) => nm / inches(1);
const inInches = (steps: readonly CutStep[]) => steps.map(({ do: what, run, cuts }) => [what, run, cuts.map(inchesOf)]);

describe('the order of cuts', () => {
  test('squares the end, cuts the full widths, then parts each section', () => {
    // Two fronts beside each other and a back that is as wide as both, on a bolt.
    const { job, plan } = lie(
      [
        { at: [0.5, 0], size: [21, 21] },
        { at: [21.5, 0], size: [21, 20] },
        { at: [0.5, 21], size: [50, 10] },
      ],
      31,
    );
    expect(inInches(orderOfCuts(job, plan, { ...PLAIN, mayStack: false }))).toEqual([
      ['square', null, []],
      ['across', 'across', [21]],
      ['across', 'across', [31]],
      ['piece', 'along', [0.5, 21.5]],
      ['piece', 'along', [21.5, 42.5]],
      ['piece', null, []],
    ]);
  });

  test('alike pieces in a row are one step, with all of its cuts', () => {
    const row = [0.5, 13.5, 26.5].map((x) => ({
      id: 'seat',
      at: [x, 0] as [number, number],
      size: [13, 13] as [number, number],
    }));
    const steps = orderOfCuts(...args(lie(row, 13)), { ...PLAIN, mayStack: false });
    expect(inInches(steps).at(-1)).toEqual(['piece', 'along', [0.5, 13.5, 26.5, 39.5]]);
    expect(steps.at(-1)!.items).toEqual([0, 1, 2]);
  });

  test('a pinwheel has no straight cut, and is cut around from the squared end on', () => {
    const wheel = lie(
      [
        { at: [0.5, 0], size: [20, 10] },
        { at: [20.5, 0], size: [10, 20] },
        { at: [10.5, 20], size: [20, 10] },
        { at: [0.5, 10], size: [10, 20] },
      ],
      30,
    );
    const steps = orderOfCuts(...args(wheel), PLAIN);
    expect(steps.slice(2).map(({ do: what, items }) => [what, ...items])).toEqual([
      ['around', 0],
      ['around', 1],
      ['around', 3],
      ['around', 2],
    ]);
  });

  describe('layers', () => {
    const rows = (gap: number) =>
      [0, 1].flatMap((k) => [
        { id: 'a', at: [0.5, k * gap] as [number, number], size: [21, 10] as [number, number] },
        { id: 'b', at: [21.5, k * gap] as [number, number], size: [9, 10] as [number, number] },
      ]);

    test('alike sections are cut on each other, and every cut frees both layers', () => {
      const steps = orderOfCuts(...args(lie(rows(10), 20)), PLAIN);
      expect(steps.map(({ do: what, layers, items }) => [what, layers, items])).toEqual([
        ['square', 1, []],
        ['across', 1, [0, 1]],
        ['across', 1, [2, 3]],
        ['stack', 2, [0, 2, 1, 3]],
        ['piece', 2, [0, 2]],
        ['piece', 2, [1, 3]],
      ]);
    });

    test('on patterned cloth only pattern on pattern', () => {
      const repeat = (along: number) => ({
        lattice: latticeOf({ across: inches(8), along: inches(along), drop: 0.5 }),
        mayStack: true,
      });
      const doings = (along: number) =>
        orderOfCuts(...args(lie(rows(12), 22)), repeat(along)).map(({ do: what }) => what);
      expect(doings(6)).toContain('stack');
      expect(doings(5)).not.toContain('stack');
    });

    test('five alike sections are four and one: no more layers than a cutter goes through', () => {
      const five = lie(
        [0, 1, 2, 3, 4].map((k) => ({ id: 'a', at: [0.5, k * 10], size: [50, 10] })),
        50,
      );
      const stacks = orderOfCuts(...args(five), PLAIN).filter(({ do: what }) => what === 'stack');
      expect(stacks.map(({ stacked }) => stacked)).toEqual([[1, 2, 3, 4]]);
    });

    test('a section that is alike on both sides of the middle is cut on the fold', () => {
      // 26.5 in on each side of the middle of 53 usable inches, and a band across it.
      const mirrored = lie(
        [
          { at: [0.5, 0], size: [20, 10] },
          { at: [33.5, 0], size: [20, 10] },
          { at: [20.5, 0], size: [13, 8] },
        ],
        10,
      );
      const steps = orderOfCuts(...args(mirrored), PLAIN);
      expect(steps.slice(2).map(({ do: what, layers, items }) => [what, layers, items])).toEqual([
        ['fold', 2, [2, 0, 1]],
        ['piece', 2, [0, 1]],
        ['piece', 2, [2]],
      ]);
      // A pattern would be mirrored, and foam doesn't fold.
      for (const rules of [
        { lattice: latticeOf({ across: 10, along: 10, drop: 0 }), mayStack: true },
        { lattice: null, mayStack: false },
      ])
        expect(orderOfCuts(...args(mirrored), rules).map(({ do: what }) => what)).not.toContain('fold');
    });
  });

  test('whatever the lay: each piece and cut is freed once, and no straight cut goes through another', () => {
    fc.assert(
      fc.property(jobArb, fc.boolean(), (document, mayStack) => {
        const job = jobOf({ ...document, cloth: { ...document.cloth, name: 't' } });
        const plan = nest(job, { steps: 5 });
        fc.pre(plan.ok);
        const steps = orderOfCuts(job, plan.value, { lattice: job.lattice, mayStack });
        expect(steps.map(({ n }) => n)).toEqual(steps.map((_, i) => i + 1));
        for (const drawing of drawPlan(job, plan.value)) {
          const own = steps.filter(({ stock }) => stock === drawing.stock.id);
          const freed = own.filter(({ do: what }) => FREEING.includes(what)).flatMap(({ items }) => items);
          expect(freed.sort((a, b) => a - b)).toEqual(drawing.items.map((_, i) => i));
          for (const step of own) expect(crossed(step, drawing)).toEqual([]);
        }
      }),
      { numRuns: tries(60) },
    );
  });
});

const args = ({ job, plan }: { job: LayJob; plan: LayPlan }) => [job, plan] as const;

/** The pieces that a step's line cuts through: those with corners further than 2 µm on both of its sides, beside the line's own reach. */
function crossed({ line, run }: CutStep, { items }: LayDrawing): string[] {
  if (!line || run === null) return [];
  const [[x0, y0], [x1, y1]] = line;
  const isAlong = x0 === x1;
  const [from, to, at] = isAlong ? [y0, y1, x0] : [x0, x1, y0];
  const side = ([x, y]: Point) => (isAlong ? x : y) - at;
  const reach = ([x, y]: Point) => (isAlong ? y : x);
  return items
    .filter(({ ring }) => {
      const inReach = ring.map(reach).some((v) => v < to - 2_000) && ring.map(reach).some((v) => v > from + 2_000);
      return inReach && ring.some((point) => side(point) > 2_000) && ring.some((point) => side(point) < -2_000);
    })
    .map(({ id, copy }) => `${id} ${copy}`);
}

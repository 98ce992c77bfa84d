import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import type { CutList } from '../cutlist';
import { nest } from '../lay';
import { inches, NM } from '../length';
import { clothTasks, takenBy, type ClothTask, type PricedItem } from './batch';
import { bestVariant, stockVariants, takenAway, withoutDear, type LaidTask } from './stock-variants';
import { DRILL, pricedItem } from './testing';

const LEAST: [number, number] = [inches(12), inches(12)];

const cutListOf = (sizes: readonly (readonly [number, number, number])[]): CutList =>
  ({
    pieces: sizes.map(([across, along, qty], i) => ({
      line: '1',
      name: `p${i}`,
      role: 'face',
      cloth: 'drill',
      qty,
      size: [inches(across), inches(along)],
      across: inches(across),
      along: inches(along),
      sum: ['', ''],
      seam: inches(0.5),
      turns: null,
      anchor: null,
      outline: null,
    })),
    strips: [],
    notions: [],
    marks: [],
    inspections: [],
    steps: [],
    warnings: [],
  }) as unknown as CutList;

function taskOf(sizes: readonly (readonly [number, number, number])[], shelf: PricedItem[]): ClothTask {
  const [task] = clothTasks(
    [{ orderNo: '201', cutList: cutListOf(sizes) }],
    [{ key: 'drill', cloth: DRILL, units: 'in', shelf }],
  );
  return task!;
}
const lay = (task: ClothTask): LaidTask => {
  const plan = nest(task.whole.job, { steps: 20 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return { task, plan: plan.value };
};
function decide(sizes: readonly (readonly [number, number, number])[], shelf: PricedItem[]) {
  const tried = stockVariants(taskOf(sizes, shelf)).map(lay);
  const third = tried.length === 2 ? withoutDear(tried[0]!, tried[1]!) : null;
  if (third) tried.push(lay(third));
  return { tried, best: bestVariant(tried, LEAST) };
}
const costIn = ({ task, plan }: LaidTask) => takenBy(task.cloth, task.stock?.items ?? [], plan).cost;
const codes = ({ plan }: LaidTask) => plan.lays.filter(({ used }) => used > 0).map(({ stock }) => stock);
const remnant = (code: string, across: number, along: number, whole: number): PricedItem => ({
  ...pricedItem(code, 1, whole),
  width: inches(across),
  selvage: [0, 0],
  received: inches(along),
  available: inches(along),
  price: { minor: whole, currency: 'GBP', per: 'whole' },
});

describe('the stock of a lay', () => {
  test('is the remnant where it holds the pieces for less than the bolt', () => {
    const { best } = decide([[14, 14, 1]], [pricedItem('B1', 20, 1800), remnant('R2', 15, 16, 200)]);
    expect(codes(best)).toEqual(['R2']);
  });

  test('is the bolt where the remnant would be used up for one small piece; the reason says what it would have cost', () => {
    // A strip 3 in wide for 300 in that widens at its far end: the piece lies only there, and all of it would be taken.
    const odd: PricedItem = {
      ...remnant('R46', 16, 330, 5000),
      outline: [
        [0, 0],
        [3, 0],
        [3, 310],
        [16, 310],
        [16, 330],
        [0, 330],
      ].map(([x, y]): [number, number] => [inches(x!), inches(y!)]),
    };
    const { best, tried } = decide([[14, 14, 1]], [pricedItem('B1', 20, 1800), odd]);
    expect(codes(tried[0]!)).toEqual(['R46']);
    expect(costIn(tried[0]!)).toBeGreaterThan(4000);
    expect(codes(best)).toEqual(['B1']);
    // By hand: 14 in of £18 a yard are £7.
    expect(costIn(best)).toBe(700);
    expect(best.task.stock!.why).toMatch(/with R46 it would cost £4\d\.\d\d in place of £7\.00$/);
  });

  test('is the good remnant without the dear one', () => {
    const shelf = [pricedItem('B1', 20, 1800), remnant('R2', 15, 29, 300), remnant('R3', 15, 200, 9000)];
    const { best } = decide([[14, 14, 4]], shelf);
    expect(codes(best)).not.toContain('R3');
    expect(codes(best)).toContain('R2');
  });

  test('leaves a remnant on the shelf that would be cut to a scrap', () => {
    const { tried } = decide([[14, 14, 1]], [pricedItem('B1', 20, 1800), remnant('R2', 15, 22, 400)]);
    const [onRemnant] = tried;
    // 14 of 22 in are used; 8 in are too short to keep and are lost, too: all £4.
    expect(costIn(onRemnant!)).toBe(255);
    expect(Math.round(takenAway(onRemnant!, LEAST))).toBe(400);
  });

  test('costs never more than on the bolt, whatever lies on the shelf', () => {
    const size = fc.tuple(
      fc.integer({ min: 5, max: 40 }),
      fc.integer({ min: 5, max: 40 }),
      fc.integer({ min: 1, max: 3 }),
    );
    const piece = fc.record({
      across: fc.integer({ min: 6, max: 50 }),
      along: fc.integer({ min: 6, max: 200 }),
      whole: fc.integer({ min: 0, max: 9000 }),
    });
    fc.assert(
      fc.property(
        fc.array(size, { minLength: 1, maxLength: 4 }),
        fc.array(piece, { maxLength: 4 }),
        (sizes, remnants) => {
          const shelf = [
            pricedItem('B1', 60, 1800),
            ...remnants.map(({ across, along, whole }, i) => remnant(`R${i + 2}`, across, along, whole)),
          ];
          const { best, tried } = decide(sizes, shelf);
          const plain = tried[1] ?? tried[0]!;
          expect(costIn(best)).toBeLessThanOrEqual(costIn(plain));
          expect(best.plan.unplaced).toEqual([]);
          expect(best.plan.lays.reduce((sum, { used }) => sum + used, 0)).toBeGreaterThan(NM.in);
        },
      ),
      { numRuns: tries(40) },
    );
  });
});

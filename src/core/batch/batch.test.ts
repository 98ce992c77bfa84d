import { describe, expect, test } from 'vitest';
import type { Cloth } from '../cloth';
import { cutList, type OrderLine } from '../cutlist';
import { nest, type LayJob } from '../lay';
import { inches } from '../length';
import { clothTasks, settle } from './index';
import { DRILL } from './testing';

const cloth = (name: string): Cloth => ({ ...DRILL, name });
const order = (orderNo: string, rest: Partial<OrderLine>) => {
  const line: OrderLine = {
    id: '1',
    kind: 'zip-cushion',
    qty: 2,
    measures: { width: inches(17), height: inches(17) },
    options: {},
    cloth: { face: 'a' },
    ...rest,
  };
  const list = cutList([line], 'in');
  if (!list.ok) throw new Error('refused');
  return { orderNo, cutList: list.value };
};
const orders = [order('1', {}), order('2', { qty: 1 }), order('3', { cloth: { face: 'b' } })];
const cloths = ['a', 'b', 'c'].map((key) => ({ key, cloth: cloth(key), units: 'in' as const }));
const layOf = ({ job }: { job: LayJob }) => {
  const plan = nest(job, { steps: 30 });
  if (!plan.ok) throw new Error('refused');
  return plan.value;
};

describe('a batch', () => {
  const tasks = clothTasks(orders, cloths);

  test('has one task a cloth that is used, with each order by itself', () => {
    expect(tasks.map(({ key, orders: of }) => [key, of.map(({ orderNo }) => orderNo)])).toEqual([
      ['a', ['1', '2']],
      ['b', ['3']],
    ]);
  });

  test('orders that cut the same have the same content, whatever their numbers: they take the same alone', () => {
    const same = [
      order('201', {}),
      order('7', { qty: 1 }),
      order('202', {}),
      order('8', { cloth: { face: 'b' } }),
      order('9', { qty: 1 }),
    ];
    const [a, b] = clothTasks(same, cloths);
    const [first, second] = a!.orders.map(({ content }) => content);
    expect(first).not.toBe(second);
    expect(a!.orders.map(({ orderNo, content }) => [orderNo, content])).toEqual([
      ['201', first],
      ['7', second],
      ['202', first],
      ['9', second],
    ]);
    expect(b!.orders.map(({ orderNo }) => orderNo)).toEqual(['8']);
  });

  test('costs and shares: six 17 in squares lie three abreast, bought in quarter yards', () => {
    const [task] = tasks;
    const figures = settle(
      task!,
      layOf(task!.whole),
      task!.orders.map(({ job }) => layOf(job).used),
    );
    // Together two rows of three: 34 in; alone 34 in (four squares) and 17 in (two).
    expect(figures).toMatchObject({ used: inches(34), bought: inches(36), cost: 1800 });
    expect(figures.shares.map(({ alone, aloneCost }) => [alone / inches(1), aloneCost])).toEqual([
      [34, 1800],
      [17, 900],
    ]);
    expect(figures.shares.map(({ byLength, byArea }) => [byLength, byArea])).toEqual([
      [1200, 1200],
      [600, 600],
    ]);
    expect(figures.waste).toBeCloseTo(1 - (6 * 17 * 17) / (53 * 34), 9);
    // By hand three abreast, too: 34 together; each by itself 34, then 17.
    expect(figures.hand).toBe(inches(34));
    expect(figures.shares.map(({ hand }) => hand / inches(1))).toEqual([34, 17]);
    expect(figures.shares.reduce((sum, { used }) => sum + used, 0)).toBeCloseTo(inches(34), -1);
  });
});

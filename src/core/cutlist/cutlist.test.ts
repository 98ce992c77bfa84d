import { describe, expect, test } from 'vitest';
import type { Cloth } from '../cloth';
import { inches, NM } from '../length';
import { jobToJson, nest, readJob } from '../lay';
import { cutList, layJobFor, type OrderLine } from './index';

const line = (rest: Partial<OrderLine> = {}): OrderLine => ({
  id: '1',
  kind: 'envelope-cushion',
  qty: 4,
  measures: { width: inches(18), height: inches(18) },
  options: {},
  cloth: { face: 'reed' },
  ...rest,
});
const listOf = (...lines: OrderLine[]) => {
  const list = cutList(lines, 'in');
  if (!list.ok) throw new Error(JSON.stringify(list.faults));
  return list.value;
};
const reed: Cloth = {
  name: 'Reed',
  width: inches(54),
  selvage: [inches(0.5), inches(0.5)],
  repeat: { across: inches(9), along: inches(8), drop: 0.5 },
  turns: 'none',
  price: { minor: 2400, currency: 'GBP', per: 'yd' },
  sellingStep: inches(4.5),
};

describe('the cut list', () => {
  test('multiplies by the quantity and keeps the sums', () => {
    const { pieces } = listOf(line());
    expect(pieces.map(({ name, qty, role }) => [name, qty, role])).toEqual([
      ['front', 4, 'face'],
      ['back panel', 8, 'face'],
    ]);
    expect(pieces[0]!.sum[0]).toBe('18 + 2 x 1/2 = 19');
  });

  test('a role without a cloth falls back to face; a back with its own cloth stays a back', () => {
    const [, back] = listOf(line({ cloth: { face: 'reed', back: 'plain' } })).pieces;
    expect(back).toMatchObject({ role: 'back', cloth: 'plain' });
    const piped = listOf(
      line({
        kind: 'boxed-cushion',
        measures: { length: inches(20), width: inches(20), thickness: inches(3) },
        options: { piping: 'both' },
        cloth: { face: 'reed', welt: 'plain' },
      }),
    );
    expect(piped.strips[0]).toMatchObject({ role: 'welt', cloth: 'plain', qty: 8 });
    expect(piped.pieces.every(({ role, cloth }) => cloth === (role === 'foam' ? 'foam' : 'reed'))).toBe(true);
  });

  test('faults name the line and the field', () => {
    const bad = cutList(
      [
        line(),
        line({ id: '2', qty: 0 }),
        line({ id: '3', kind: 'hat' }),
        line({ id: '4', measures: { width: 0, height: 5 } }),
        line({ id: '5', options: { seam: -1 } }),
      ],
      'in',
    );
    expect(bad.ok).toBe(false);
    if (!bad.ok)
      expect(bad.faults.map(({ field }) => field)).toEqual(['2.qty', '3.kind', '4.measures.width', '5.options.seam']);
  });

  test('a thousand lines take well under a second', () => {
    const lines = Array.from({ length: 1000 }, (_, i) => line({ id: String(i) }));
    expect(listOf(...lines).pieces).toHaveLength(2000);
  });
});

describe('from cut lists to a lay job', () => {
  const box = line({
    id: '2',
    kind: 'boxed-cushion',
    qty: 1,
    matching: 'centred',
    measures: { length: inches(20), width: inches(18), thickness: inches(3) },
    cloth: { face: 'reed', welt: 'plain' },
    options: { piping: 'top' },
  });
  const orders = [
    { orderNo: 'T-1', cutList: listOf(line({ matching: 'alike' }), box) },
    { orderNo: 'T-2', cutList: listOf(line({ qty: 2 })) },
  ];

  test('takes only what is cut from that cloth, and says whose it is', () => {
    const job = layJobFor(orders, 'plain', { ...reed, repeat: null }, 'in')!;
    expect(job.parts.map(({ seam: _, ...part }) => part)).toEqual([
      expect.objectContaining({
        id: 'T-1/2 piping',
        orderNo: 'T-1',
        line: '2',
        isStrip: true,
        size: [inches(1.5), inches(82)],
      }),
    ]);
    expect(layJobFor(orders, 'none', reed, 'in')).toBeNull();
  });

  test('is a well-formed job whose matches hold: all fronts alike, the top centred, the boxing going on from it', () => {
    const { job } = layJobFor(orders, 'reed', reed, 'in')!;
    // It is what the open format reads back.
    expect(readJob(jobToJson(job, reed))).toEqual({ ok: true, value: job });
    const plan = nest(job, { steps: 40 });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    const placed = plan.value.lays[0]!.placed;
    const at = (id: string) => placed.filter(({ piece }) => piece === id);
    const lattice = ([x, y]: [number, number]) => {
      const column = Math.round(x / inches(9));
      const wrapped = (((y - column * inches(4)) % inches(8)) + inches(8)) % inches(8);
      return [Math.round(x - column * inches(9)), Math.round(wrapped)];
    };
    const [top] = at('T-1/2 top');
    // The top is 21 by 19: its centre lies on the motif.
    expect(lattice([top!.x + inches(10.5), top!.y + inches(9.5)])).toEqual([0, 0]);
    // The 3 in boxing is cut 4 high: its top seam line, 3 1/2 up, goes on from the top's front seam line (1/2 in).
    const [boxing] = at('T-1/2 front boxing');
    expect(lattice([boxing!.x - top!.x, boxing!.y + inches(3.5) - (top!.y + inches(0.5))])).toEqual([0, 0]);
    const fronts = at('T-1/1 front');
    expect(fronts).toHaveLength(4);
    for (const front of fronts) expect(lattice([front.x - fronts[0]!.x, front.y - fronts[0]!.y])).toEqual([0, 0]);
  });

  test('lengths come out in the document’s units', () => {
    const json = jobToJson(layJobFor(orders, 'reed', reed, 'mm')!.job, reed);
    expect(json).toMatchObject({
      units: 'mm',
      cloth: { width: 1371.6, repeat: { across: 228.6, along: 203.2, drop: 0.5 } },
    });
    expect(json.pieces[0]).toMatchObject({ size: [(19 * NM.in) / NM.mm, expect.any(Number)] });
  });
});

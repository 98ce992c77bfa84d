import { describe, expect, test } from 'vitest';
import type { Cloth } from '../cloth';
import type { JobPart } from '../cutlist';
import { findFaults, nest, type LayJob } from '../lay';
import { jobOf } from '../lay/testing';
import { inches } from '../length';
import { changed, waysOf, workOf } from './ways';

const IN = inches(1);
const CLOTH: Cloth = {
  name: 't',
  width: 54 * IN,
  selvage: [IN / 2, IN / 2],
  repeat: { across: 9 * IN, along: 8 * IN, drop: 0 },
  turns: 'none',
  motif: [2 * IN, 0],
  price: { minor: 1800, currency: 'GBP', per: 'yd' },
  sellingStep: inches(4.5),
};
const partOf = (id: string, size: [number, number], isStrip = false): JobPart => ({
  id,
  orderNo: '7',
  line: '1',
  name: id,
  sum: ['', ''],
  size: [size[0] * IN, size[1] * IN],
  isStrip,
});
const laid = (job: LayJob) => {
  const plan = nest(job, { steps: 80 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  expect(findFaults(job, plan.value)).toEqual([]);
  return plan.value;
};
const job = jobOf({
  cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'none', repeat: { across: 9, along: 8 } },
  stock: [{ id: 'R1', length: 30 }, { id: 'roll' }],
  pieces: [
    { id: 'front', size: [18, 18], qty: 4, match: { at: [2, 0] } },
    { id: 'boxing', size: [40, 4], qty: 4 },
  ],
  strips: [{ id: 'piping', width: 1.5, length: 160, grain: 'bias', loss: 1.5, least: 12 }],
});
const one = { job, parts: [partOf('front', [18, 18]), partOf('boxing', [40, 4]), partOf('piping', [1.5, 160], true)] };
const way = (name: RegExp) => {
  const found = waysOf(one, CLOTH, 'in').find((each) => name.test(each.name))!;
  return changed(one, CLOTH, found.changes);
};

describe('other ways', () => {
  test('are those that the job leaves open, and no others', () => {
    expect(waysOf(one, CLOTH, 'in').map(({ name }) => name)).toEqual([
      'All alike, no motif centred',
      'Without matching the pattern',
      'Piping cut straight across',
      'Off a fresh roll, nothing from the shelf',
      'Straight cuts from edge to edge',
      'Boxing along the bolt',
      'On cloth 45 in wide',
      'On cloth 60 in wide',
      'On cloth 72 in wide',
    ]);
    const plain = {
      job: jobOf({ pieces: [{ id: 'front', size: [18, 18], qty: 1 }], cut: 'straight' }),
      parts: one.parts,
    };
    expect(waysOf(plain, { ...CLOTH, sheetLength: 80 * IN }, 'in').map(({ name }) => name)).toEqual([
      'Cut freely, piece by piece',
    ]);
  });

  test('each can be cut; none changes the job that it came from', () => {
    const before = JSON.stringify(job);
    for (const { changes } of waysOf(one, CLOTH, 'in'))
      expect(laid(changed(one, CLOTH, changes).job).unplaced).toEqual([]);
    expect(JSON.stringify(job)).toBe(before);
  });

  test('alike: the fronts share a phase, but not that of the motif; without a match they lie anywhere', () => {
    const alike = laid(way(/alike/).job).lays.flatMap(({ stock, placed }) =>
      placed.filter(({ piece }) => piece === 'front').map((at) => ({ ...at, stock })),
    );
    const phase = ({ x, y }: { x: number; y: number }) => `${((x % (9 * IN)) + 9 * IN) % (9 * IN)} ${y % (8 * IN)}`;
    expect(new Set(alike.filter(({ stock }) => stock === 'roll').map(phase)).size).toBeLessThanOrEqual(1);
    expect(way(/Without/).job.pieces.every(({ match }) => match === null)).toBe(true);
    expect(laid(way(/Without/).job).used).toBeLessThanOrEqual(laid(job).used);
  });

  test('straight piping runs from edge to edge; boxing along the bolt is as long as it was wide', () => {
    const cuts = laid(way(/straight across/).job).lays.flatMap((lay) => lay.cuts);
    for (const { outline } of cuts) expect(new Set(outline.map(([, y]) => y)).size).toBe(2);
    const turned = way(/Boxing/);
    expect(turned.job.pieces[1]).toMatchObject({ width: 4 * IN, height: 40 * IN });
    expect(turned.parts[1]!.size).toEqual([4 * IN, 40 * IN]);
  });

  test('another width is that of a fresh roll of it', () => {
    const { stock } = way(/60 in/).job;
    expect(stock).toMatchObject([{ id: 'roll', left: IN / 2, right: 59.5 * IN, length: Infinity }]);
  });
});

test('the work is what is cut out, and what is joined that one cut could not give', () => {
  const cut = {
    length: 1,
    outline: [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ] as never,
  };
  const plan = {
    lays: [
      {
        stock: 'roll',
        used: 1,
        placed: ['left', 'middle', 'right', 'front'].map((piece) => ({ piece, copy: 1, x: 0, y: 0, turn: 0 })),
        cuts: [
          { ...cut, strip: 's', copy: 1 },
          { ...cut, strip: 's', copy: 1 },
          { ...cut, strip: 's', copy: 2 },
        ],
      },
    ],
  };
  const parts = ['left', 'middle', 'right'].map((id) => ({ ...partOf(id, [1, 1]), name: `back, ${id}` }));
  // Three parts of a back take two seams, and the first strip's two cuts one.
  expect(workOf(plan, [...parts, partOf('front', [1, 1])])).toEqual({ cuts: 7, seams: 3 });
});

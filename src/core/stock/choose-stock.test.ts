import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Cloth } from '../cloth';
import { inches, NM } from '../length';
import { DRILL } from '../batch/testing';
import { jobOf } from '../lay/testing';
import { nest } from '../lay';
import {
  beforeWash,
  chooseStock,
  jobOnStock,
  leastPiece,
  NO_CHOICE,
  stockLengthOf,
  TO_BUY,
  usesOf,
  type ShelfItem,
} from '.';

const item = (id: number, rest: Partial<ShelfItem> = {}): ShelfItem => ({
  id,
  code: `${rest.sort === 'remnant' ? 'R' : 'B'}${id}`,
  sort: 'bolt',
  lot: '3',
  width: inches(54),
  selvage: [inches(0.5), inches(0.5)],
  received: rest.available ?? inches(360),
  available: inches(360),
  isOpened: false,
  isWashed: false,
  motif: [0, 0],
  flaws: [],
  outline: null,
  ...rest,
});
const remnant = (id: number, across: number, along: number, rest: Partial<ShelfItem> = {}) =>
  item(id, { sort: 'remnant', width: inches(across), selvage: [0, 0], available: inches(along), ...rest });
const cloth: Cloth = { ...DRILL, price: { minor: 1000, currency: 'GBP', per: 'yd' } };
const small: [number, number] = [inches(10), inches(10)];
const codes = ({ items }: { items: ShelfItem[] }) => items.map(({ code }) => code);

describe('which stock a lay uses', () => {
  test('matching remnants first, then the opened bolt, then the next', () => {
    const shelf = [item(1), item(2, { isOpened: true, available: inches(50) }), remnant(3, 30, 20), remnant(4, 6, 40)];
    const chosen = chooseStock(inches(100), small, shelf);
    // The narrow one holds no piece of 10 in.
    expect(codes(chosen)).toEqual(['R3', 'B2', 'B1']);
    expect(chosen).toMatchObject({
      lot: '3',
      short: 0,
      why: 'the remnant R3 first, then the opened bolt B2, B1, all of lot 3',
    });
    expect(codes(chooseStock(inches(40), small, shelf))).toEqual(['R3', 'B2']);
  });

  test('one lot for a set: the one that reaches, without opening a bolt where one is open', () => {
    const shelf = [
      item(1, { lot: '3', available: inches(60) }),
      item(2, { lot: '4', available: inches(200) }),
      item(3, { lot: '5', available: inches(150), isOpened: true }),
      remnant(4, 40, 40, { lot: '3' }),
    ];
    expect(codes(chooseStock(inches(100), small, shelf))).toEqual(['B3']);
    // None reaches: the lot that misses least, with what it lacks.
    expect(chooseStock(inches(250), small, shelf)).toMatchObject({ lot: '4', short: inches(50) });
    expect(codes(chooseStock(inches(250), small, shelf, { ...NO_CHOICE, isLotMixed: true }))).toEqual([
      'R4',
      'B3',
      'B1',
      'B2',
    ]);
  });

  test('what is pinned is used and decides the lot; what is left out is not', () => {
    const shelf = [item(1, { lot: '3', isOpened: true }), item(2, { lot: '4' }), remnant(3, 30, 30, { lot: '4' })];
    expect(codes(chooseStock(inches(40), small, shelf, { ...NO_CHOICE, pinned: [2] }))).toEqual(['R3', 'B2']);
    expect(codes(chooseStock(inches(40), small, shelf, { ...NO_CHOICE, leftOut: [1, 3] }))).toEqual(['B2']);
    expect(chooseStock(inches(40), small, [])).toMatchObject({
      items: [],
      short: inches(40),
      why: 'none is on the shelf',
    });
  });

  test('never mixes lots unless it is allowed, and never takes what is left out', () => {
    const one = fc.record({
      lot: fc.constantFrom('1', '2', '3'),
      length: fc.integer({ min: 0, max: 400 }),
      isRemnant: fc.boolean(),
      isOpened: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(one, { maxLength: 12 }),
        fc.integer({ min: 1, max: 500 }),
        fc.subarray([0, 1, 2, 3]),
        (all, need, leftOut) => {
          const shelf = all.map(({ lot, length, isRemnant, isOpened }, id) =>
            isRemnant ? remnant(id, 20, length, { lot }) : item(id, { lot, available: inches(length), isOpened }),
          );
          const chosen = chooseStock(inches(need), small, shelf, { pinned: [], leftOut, isLotMixed: false });
          expect(new Set(chosen.items.map(({ lot }) => lot)).size).toBeLessThanOrEqual(1);
          expect(chosen.items.every(({ id, available }) => available > 0 && !leftOut.includes(id))).toBe(true);
          const bolts = chosen.items
            .filter(({ sort }) => sort === 'bolt')
            .reduce((sum, { available }) => sum + available, 0);
          expect(chosen.short).toBe(Math.max(0, inches(need) - bolts));
        },
      ),
    );
  });
});

describe('a length of the shelf in a lay', () => {
  test('begins where the last lay ended: flaws, shape and pattern are counted from there', () => {
    const bolt = item(1, {
      received: inches(100),
      available: inches(70),
      motif: [inches(3), inches(2)],
      flaws: [
        [inches(4), inches(20), inches(6), inches(25)],
        [inches(10), inches(28), inches(12), inches(34)],
        [0, inches(50), inches(2), inches(51)],
      ],
    });
    const length = stockLengthOf(bolt, { repeat: { across: inches(12), along: inches(8), drop: 0 } });
    expect(length).toMatchObject({ id: 'B1', length: inches(70), left: inches(0.5), right: inches(53.5) });
    // 30 in are gone; the pattern's point at 2, 10, 18, 26, 34 in is now at 4.
    expect(length.motif).toEqual([inches(3), inches(4)]);
    expect(length.flaws).toEqual([
      [inches(10), 0, inches(12), inches(4)],
      [0, inches(20), inches(2), inches(21)],
    ]);
  });

  test('an odd remnant of which the first 10 in are gone has the rest of its shape', () => {
    // A right triangle, 40 across at its squared end, 40 long.
    const shape = remnant(7, 40, 30, {
      received: inches(40),
      outline: [
        [0, 0],
        [inches(40), 0],
        [0, inches(40)],
      ],
    });
    const { outline, length } = stockLengthOf(shape, { repeat: null });
    expect(length).toBe(inches(30));
    expect(outline!.map(([x, y]) => [x / NM.in, y / NM.in])).toEqual(
      expect.arrayContaining([
        [0, 0],
        [30, 0],
        [0, 30],
      ]),
    );
    expect(outline).toHaveLength(3);
  });

  test('a washed cloth is narrower and is taken longer: length / (1 - shrinkage)', () => {
    // Common practice, no source: 4 % along, 2 % across; 72 in washed take 75 in.
    const shrinkage = { across: 0.02, along: 0.04 };
    const length = stockLengthOf(item(1, { available: inches(100), received: inches(100) }), {
      repeat: null,
      shrinkage,
    });
    expect(length.length).toBe(inches(96));
    expect([length.left, length.right]).toEqual([inches(0.49), inches(52.43)]);
    expect(beforeWash(inches(72), 0.04)).toBe(inches(75));
  });
});

describe('a job on stock', () => {
  const job = jobOf({
    cloth: { name: 't', width: 54, selvage: [0.5, 0.5], turns: 'half' },
    pieces: [{ id: 'a', size: [20, 20], qty: 5 }],
  });

  test('the smallest piece is what a remnant must hold', () => {
    expect(leastPiece(job)).toEqual([inches(20), inches(20)]);
  });

  test('lays on the remnant first and takes the rest from the bolt', () => {
    const items = [remnant(3, 22, 41), item(1)];
    const on = jobOnStock(job, items, cloth);
    expect(on.stock.map(({ id, length }) => [id, length])).toEqual([
      ['R3', inches(41)],
      ['B1', Infinity],
    ]);
    const plan = nest(on, { steps: 50 });
    if (!plan.ok) throw new Error('refused');
    // Two of 20 on the remnant, three in two rows of two on the bolt.
    expect(usesOf(plan.value, items, cloth)).toEqual([
      { code: 'R3', itemId: 3, used: inches(40), short: 0 },
      { code: 'B1', itemId: 1, used: inches(40), short: 0 },
    ]);
  });

  test('where the shelf does not reach, the rest is to buy', () => {
    const items = [item(1, { available: inches(25), received: inches(25) })];
    const on = jobOnStock(job, items, cloth);
    expect(on.stock.map(({ id, length }) => [id, length])).toEqual([
      ['B1', inches(25)],
      [TO_BUY, Infinity],
    ]);
    const plan = nest(on, { steps: 50 });
    if (!plan.ok) throw new Error('refused');
    expect(usesOf(plan.value, items, cloth)).toEqual([
      { code: 'B1', itemId: 1, used: inches(20), short: 0 },
      { code: TO_BUY, itemId: null, used: 0, short: inches(40) },
    ]);
  });

  test('a roll that nobody keeps on the shelf is to buy as a whole', () => {
    const plan = nest(job, { steps: 50 });
    if (!plan.ok) throw new Error('refused');
    expect(usesOf(plan.value, [], { shrinkage: { across: 0, along: 0.04 } })).toEqual([
      { code: TO_BUY, itemId: null, used: 0, short: inches(62.5) },
    ]);
  });
});

import { kindBook } from '../covers';
import { RELEASED } from '../covers/released';
import { describe, expect, test } from 'vitest';
import type { Cloth } from '../cloth';
import { inches, millimetres, NM } from '../length';
import { nest } from '../lay';
import { cutList, layJobFor, type OrderLine } from './index';

// A motif that is to be centred comes only where the pattern does: told before anything is laid. Worked by hand.

const cloth = (rest: Partial<Cloth> = {}): Cloth => ({
  name: 'Diamonds',
  width: inches(55),
  selvage: [inches(0.5), inches(0.5)],
  repeat: { across: inches(20), along: inches(10), drop: 0 },
  turns: 'half',
  price: { minor: 2000, currency: 'GBP', per: 'yd' },
  sellingStep: inches(9),
  ...rest,
});
/** A zip cushion cut true size: its pieces are an inch larger than it. */
const line = (width: number, rest: Partial<OrderLine> = {}): OrderLine => ({
  id: '1',
  kind: 'zip-cushion',
  qty: 1,
  measures: { width: inches(width), height: inches(12) },
  options: { seam: inches(0.5) },
  fit: 'true',
  matching: 'centred',
  cloth: { face: 'a' },
  ...rest,
});
const listOf = (one: OrderLine, on: Cloth = cloth()) => {
  const list = cutList([one], 'in', { kinds: kindBook(RELEASED), cloths: new Map([['a', on]]) });
  if (!list.ok) throw new Error(JSON.stringify(list.faults));
  return list.value;
};
const stops = (one: OrderLine, on?: Cloth) =>
  listOf(one, on)
    .warnings.filter(({ level }) => level === 'stop')
    .map(({ message }) => message);
/** Pieces that a lay leaves out. */
const unplaced = (one: OrderLine, on: Cloth = cloth()) => {
  const made = layJobFor([{ orderNo: '1', cutList: listOf(one, on) }], 'a', on, 'in')!;
  const plan = nest(made.job, { steps: 40 });
  return plan.ok ? plan.value.unplaced : [];
};

describe('a centred motif', () => {
  // The middle of a piece lies 20 or 40 in from the left edge; between the selvages the cloth goes from 1/2 to 54 1/2.
  test.each([
    [20, false], // 21 wide about 20: from 9 1/2 to 30 1/2
    [38, false], // 39 wide about 20: from 1/2 to 39 1/2, just inside
    [39, true], // 40 wide about 20 reaches 1/2 past the left selvage, about 40 it ends at 60
  ])('of a cushion %s in across has a place: %s', (width, isMissed) => {
    expect(stops(line(width))).toHaveLength(isMissed ? 2 : 0);
    // The lay says the same, worked out apart.
    expect(unplaced(line(width)).length).toBe(isMissed ? 2 : 0);
  });

  test('is shown with how far it misses and what would work', () => {
    expect(stops(line(39))[0]).toBe(
      'The front, 40 in across, can’t have its motif centred on Diamonds, 54 in between its selvages: where the pattern is right for it, it would reach 1/2 in past the edge. Match it all alike instead, join it from a whole width, turn it sideways or take another cloth.',
    );
  });

  test('each of these works', () => {
    expect(stops(line(39, { matching: 'alike' }))).toEqual([]);
    const joined = line(39, { panels: { front: 'join', back: 'join' } });
    expect(stops(joined)).toEqual([]);
    expect(unplaced(joined)).toEqual([]);
    expect(listOf(joined).pieces.map(({ name }) => name)).toContain('front, middle');
    const turned = line(39, { directions: { front: 'across', back: 'across' } });
    expect(stops(turned)).toEqual([]);
    expect(unplaced(turned)).toEqual([]);
    expect(stops(line(39), cloth({ motif: [inches(7.5), 0] }))).toEqual([]);
  });

  test('follows the first motif of the cloth, in the lay too', () => {
    // Moved by 7 1/2 the middles lie at 7 1/2, 27 1/2 and 47 1/2: the widest is twice 27 less its seams.
    const moved = cloth({ motif: [inches(7.5), 0] });
    expect(stops(line(53), moved)).toEqual([]);
    expect(unplaced(line(53), moved)).toEqual([]);
  });

  test('a nap is not turned, so that is not proposed', () => {
    expect(stops(line(39), cloth({ turns: 'none' }))[0]).not.toMatch(/sideways/);
  });

  test('the parts of the foyer’s bench miss by 24.7 mm, as the lay that was never ended had it', () => {
    const diamonds = cloth({
      width: millimetres(1420),
      selvage: [millimetres(12), millimetres(12)],
      repeat: { across: millimetres(160), along: millimetres(220), drop: 0.5 },
    });
    const bench = line(0, {
      kind: 'boxed-cushion',
      kindVersion: 1,
      fit: 'true',
      options: {},
      measures: { length: millimetres(1280), width: millimetres(440), thickness: millimetres(90) },
    });
    const list = cutList([bench], 'mm', { kinds: kindBook(RELEASED), cloths: new Map([['a', diamonds]]) });
    if (!list.ok) throw new Error(list.faults[0]!.message);
    const messages = list.value.warnings.filter(({ code }) => code === 'motif-no-place').map(({ message }) => message);
    expect(messages[0]).toMatch(/^The top, 130.54 cm across.* would reach 2.47 cm past the edge/);
    expect(unplaced(bench, diamonds).length).toBeGreaterThan(0);
  });
});

test('parts that are to be all alike but can’t share the pattern are shown', () => {
  // Top and boxing of one width share their seam line; a stool's skirt is cut to another width and starts elsewhere.
  const wide = cloth({ repeat: { across: inches(50), along: inches(10), drop: 0 } });
  const boxed = line(0, {
    kind: 'boxed-cushion',
    matching: 'alike',
    measures: { length: inches(48), width: inches(20), thickness: inches(3) },
  });
  expect(stops(boxed, wide)).toEqual([]);
  expect(unplaced(boxed, wide)).toEqual([]);
});

test('a line that would be cut as more parts than a lay takes is refused at its quantity', () => {
  const list = cutList([line(20, { qty: 6000 })], 'in');
  expect(list).toMatchObject({ ok: false, faults: [{ code: 'copies', field: '1.qty' }] });
  expect(cutList([line(20, { qty: 5000 })], 'in').ok).toBe(true);
});

test('measures up to 20 m are taken, longer ones refused in a sentence', () => {
  const long = (metres: number) =>
    cutList([line(0, { matching: 'none', measures: { width: metres * NM.m, height: inches(12) } })], 'in');
  expect(long(20).ok).toBe(true);
  expect(long(20.01)).toMatchObject({ ok: false, faults: [{ code: 'length-huge', field: '1.measures.width' }] });
});

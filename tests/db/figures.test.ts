import { sql } from 'drizzle-orm';
import { beforeEach, describe, expect, test } from 'vitest';
import { KINDS } from '@/core/covers';
import { NM } from '@/core/length';
import type { WasteCause } from '@/core/stock';
import { schema } from '@/db';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { figure, figures } from '@/features/figures/queries';
import { wallCells, wallChart, type WallCell } from '@/features/figures/wall';
import { receive } from '@/features/stock/actions';
import { saveKind } from '@/features/workroom/actions';
import { EMPTY_KIND } from '@/features/workroom/form';
import { movementSums, receipt } from '../support/stock';
import { value, db, inWorkroom } from '../support/workroom';

// Figures equal the ledger: worked out by hand for a few movements.

let cloth: number;
let bolt: number;
let remnant: number;

inWorkroom();
beforeEach(async () => {
  cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '12' }, null)).id;
  bolt = value(await receive(receipt(cloth))).id;
  remnant = value(await receive(receipt(cloth, { length: '2 yd' }))).id;
  await db.execute(sql`UPDATE stock_items SET sort = 'remnant' WHERE id = ${remnant}`);
});

interface Taken {
  itemId: number;
  sort: 'cut' | 'wasted' | 'kept';
  yards: number;
  at: Date;
  cause?: WasteCause;
}
const take = ({ yards, ...rest }: Taken) => db.insert(schema.movements).values({ ...rest, quantity: yards * NM.yd });
const daysAgo = (days: number) => new Date(Date.now() - days * 86_400_000);
const monthOf = (at: Date) => `${at.getFullYear()}-${String(at.getMonth() + 1).padStart(2, '0')}`;
const rows = async (id: string) => (await figure(id))!.rows;

describe('with nothing cut', () => {
  test('every figure is there, and says so', async () => {
    await db.execute(sql`TRUNCATE stock_items CASCADE`);
    const all = await figures();
    expect(all.map(({ id }) => id)).toEqual([
      ...['waste', 'yardage', 'plan-batch', 'plan-person', 'age', 'remnants'],
      ...['promises', 'load', 'minutes-kind', 'time', 'findings', 'recuts'],
    ]);
    expect(all.flatMap(({ rows: own }) => own)).toEqual([]);
    expect(all.every(({ empty }) => empty.endsWith('.'))).toBe(true);
  });

  test('a figure that is none is null', async () => {
    expect(await figure('nonsense')).toBeNull();
    expect(await figure('toString')).toBeNull();
  });
});

describe('after cutting', () => {
  const now = daysAgo(0);
  beforeEach(async () => {
    await take({ itemId: bolt, sort: 'cut', yards: 3, at: now });
    await take({ itemId: bolt, sort: 'cut', yards: 1.5, at: now });
    await take({ itemId: bolt, sort: 'wasted', yards: 0.25, at: now, cause: 'offcut' });
    await take({ itemId: bolt, sort: 'wasted', yards: 0.5, at: now, cause: 'flaw' });
    await take({ itemId: bolt, sort: 'wasted', yards: 2, at: daysAgo(300), cause: 'miscut' });
    await take({ itemId: remnant, sort: 'cut', yards: 1.25, at: now });
  });

  test('yardage: what became pieces, and the rest', async () => {
    expect(await rows('yardage')).toEqual([{ category: 'Plain drill', values: [5.75, 2.75] }]);
  });

  test('waste by its cause, of the last half year', async () => {
    const [week, ...more] = await rows('waste');
    expect(more).toEqual([]);
    expect(week!.values).toEqual([0.25, 0.5]);
    expect((await figure('waste'))!.columns).toEqual(['Week of', 'offcut', 'flaw']);
  });

  test('what remnants saved, at what was paid: £10 a yard', async () => {
    expect(await rows('remnants')).toEqual([{ category: monthOf(now), values: [12.5] }]);
  });

  test('what lies on the shelf, by age: the bolt’s 12 3/4 yd and the remnant’s 3/4 yd', async () => {
    const { rows: ages, columns, unit } = (await figure('age'))!;
    expect([unit, ...columns]).toEqual(['GBP', 'There for', 'Bolts', 'Remnants']);
    expect(ages[0]!.values).toEqual([127.5, 7.5]);
    expect(ages.slice(1).flatMap(({ values }) => values)).toEqual([0, 0, 0, 0, 0, 0]);
  });

  test('a movement that is reversed is in no figure', async () => {
    const { rows: ids } = await db.execute<{ id: string }>(
      sql`SELECT id FROM movements WHERE item_id = ${remnant} AND sort = 'cut'`,
    );
    await db
      .insert(schema.movements)
      .values({ itemId: remnant, sort: 'cut', quantity: -1.25 * NM.yd, at: now, reversesId: Number(ids[0]!.id) });
    expect((await rows('remnants')).flatMap(({ values }) => values)).toEqual([0]);
    expect(await rows('yardage')).toEqual([{ category: 'Plain drill', values: [4.5, 2.75] }]);
  });

  test('the sums are kept while forty take from one cloth at once', async () => {
    await Promise.all(Array.from({ length: 40 }, () => take({ itemId: bolt, sort: 'cut', yards: 0.25, at: now })));
    expect(await rows('yardage')).toEqual([{ category: 'Plain drill', values: [15.75, 2.75] }]);
    const kept = await movementSums(db);
    await db.execute(sql`SELECT sum_movements()`);
    expect(await movementSums(db)).toEqual(kept);
  });
});

describe('the chart for the wall', () => {
  test('has the usual sizes of a kind with what is cut, on the usual widths or on one cloth', async () => {
    const chart = await wallChart('zip-cushion', null, 2);
    expect(chart.columns).toEqual(['45 in', '54 in', '60 in']);
    expect(chart.rows[2]).toMatchObject({ size: '16 × 16', zip: '14', filling: 'pad 16 × 16' });
    expect(chart.rows[2]!.cut).toMatch(/^front 16 × 16/);
    expect((await wallChart('zip-cushion', cloth, 2)).columns).toEqual(['Plain drill']);
    // A deleted record is left out of the question, not refused.
    expect((await wallChart('none', 999_999, 1)).clothId).toBeNull();
  });

  test('has every kind; foam covers with and without piping, beds and benches by their foam', async () => {
    const { kinds } = await wallChart('envelope-cushion', null, 1);
    expect(kinds.map(({ id }) => id)).toEqual(KINDS.map(({ id }) => id));
    const { rows } = await wallChart('boxed-cushion', null, 1);
    const [plain, piped] = rows.filter(({ size }) => size === '30 × 20 × 4');
    expect(plain).toMatchObject({ way: '', zip: '30', filling: 'foam 30 × 20 × 4' });
    expect(piped!.way).toBe('piped top and bottom');
    // Two runs of 100 with 6 more, of 1 1/2.
    expect(piped!.cut).toBe(`${plain!.cut}, 2 × piping 1 1/2 × 106`);
    for (const { id } of KINDS)
      for (const { cut } of (await wallChart(id, null, 1)).rows)
        expect([id, cut]).toEqual([id, expect.stringMatching(/\d/)]);
  });

  test('has own kinds with the sizes that were written for them', async () => {
    const own = { ...EMPTY_KIND, name: 'Punt cushion', usualSizes: [{ in: '33 x 26' }, { in: '40 x 30 1/2' }] };
    value(await saveKind(own, null));
    const { kinds } = await wallChart('', null, 1);
    const { id } = kinds.find(({ name }) => name === 'Punt cushion')!;
    expect((await wallChart(id, null, 1)).rows.map(({ size }) => size)).toEqual(['33 × 26', '40 × 30 1/2']);
    expect(await saveKind({ ...own, name: 'Other', usualSizes: [{ in: '33' }] }, null)).toMatchObject({
      ok: false,
      faults: [{ field: 'usualSizes.0.in' }],
    });
  });

  test('each length to buy is a real lay’s, in the shop’s steps, and laid once ever', async () => {
    const cells: WallCell[] = [];
    await wallCells('envelope-cushion', cloth, 1, new AbortController().signal, (cell) => cells.push(cell));
    const { rows: sizes } = await wallChart('envelope-cushion', cloth, 1);
    expect(cells.map(({ row }) => row)).toEqual(sizes.map(({ key }) => key));
    // A form of 12 in is cut 12 wide: its front and two backs lie beside each other, so its height is bought, in steps of 1/8 yd.
    expect(cells[0]!.length).toMatch(/^(13 1\/2|14|18) in$|^1\/2 yd$|^3\/8 yd$/);
    const kept = await db.execute<{ n: number }>(sql`SELECT count(*)::int AS n FROM alone_lays`);
    const again: WallCell[] = [];
    await wallCells('envelope-cushion', cloth, 1, new AbortController().signal, (cell) => again.push(cell));
    expect(again).toEqual(cells);
    expect((await db.execute<{ n: number }>(sql`SELECT count(*)::int AS n FROM alone_lays`)).rows).toEqual(kept.rows);
  });

  test('ends where nobody waits for it', async () => {
    const stop = new AbortController();
    const cells: WallCell[] = [];
    await wallCells('zip-cushion', null, 1, stop.signal, (cell) => {
      cells.push(cell);
      if (cells.length === 2) stop.abort();
    });
    // A size is laid on all widths at once; the further sizes are not.
    expect(new Set(cells.map(({ row }) => row)).size).toBe(1);
  });
});

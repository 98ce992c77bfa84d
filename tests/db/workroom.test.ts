import { sql } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { DEMO_BATCHES, insertDemo } from '@/db/demo';
import { emptyTables } from '@/db/empty';
import { createBatch } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { listCloths } from '@/features/cloth/queries';
import { saveOrder } from '@/features/orders/actions';
import { getOrder, listOrders as pageOfOrders, type OrderQuery } from '@/features/orders/queries';
import { importKind, saveKind, saveRules, withdrawKind } from '@/features/workroom/actions';
import { EMPTY_KIND } from '@/features/workroom/form';
import { getOwnKind, workroomRules, listOwnKinds } from '@/features/workroom/queries';
import { cutList } from '@/core/cutlist';
import { kindToJson } from '@/core/files';
import { loadKindBook } from '@/db/kinds';
import { NM } from '@/core/length';
import { layAtOnce } from '@/work/lay-batch';
import { KINDS } from '@/core/covers';
import { emptyLine, readLineForm } from '@/features/orders/form';
import { lineForm } from '../support/forms';
import { A_MOMENT, faultsOf, value, cloth, db, inWorkroom } from '../support/workroom';
import { linesOf, savedOrder } from '../support/orders';

// The workroom itself: what its database refuses, its demo, its own kinds and its rules.

inWorkroom();

const listOrders = async (query: OrderQuery) => (await pageOfOrders(query)).orders;
const newOrder = (lines = [lineForm(cloth)], rest = {}) => savedOrder(lines, rest);

describe('the database holds its own rules', () => {
  const refuses = async (query: ReturnType<typeof sql>, constraint: string) => {
    const error = await db.execute(query).then(
      () => null,
      (reason) => reason as { cause: { constraint: string } },
    );
    expect(error?.cause.constraint).toBe(constraint);
  };

  test('lengths, money, words and references', async () => {
    const id = await newOrder();
    const [line] = await linesOf(id);
    await refuses(sql`UPDATE cloths SET width_nm = 0`, 'cloths_width');
    await refuses(sql`UPDATE cloths SET drop_part = 1`, 'cloths_repeat');
    await refuses(sql`UPDATE cloths SET price_minor = -1`, 'cloths_price');
    await refuses(sql`UPDATE order_lines SET qty = 0`, 'order_lines_qty');
    await refuses(sql`UPDATE line_values SET value_nm = 0 WHERE name = 'width'`, 'line_values_length');
    await refuses(sql`UPDATE line_values SET choice = 'x'`, 'line_values_one');
    await refuses(
      sql`INSERT INTO line_cloths (line_id, role, cloth_id) VALUES (${line}, 'hat', ${cloth})`,
      'line_cloths_role',
    );
    await refuses(
      sql`INSERT INTO line_cloths (line_id, role, cloth_id) VALUES (${line}, 'welt', 9999)`,
      'line_cloths_cloth_id_cloths_id_fk',
    );
    await refuses(sql`DELETE FROM customers`, 'orders_customer_id_customers_id_fk');
    await refuses(sql`INSERT INTO batches (name, status) VALUES ('x', 'lost')`, 'batches_status');
  });
});

describe('the demo workroom', () => {
  test('loads whole into an empty database', async () => {
    await emptyTables(db);
    const ids = await db.transaction((tx) => insertDemo(tx, new Date('2026-05-05')));
    expect(ids).toHaveLength(DEMO_BATCHES.length);
    expect(await listCloths()).toHaveLength(28);
    const orders = await listOrders({});
    expect(orders).toHaveLength(29);
    expect((await listOwnKinds()).map(({ name }) => name)).toEqual(['Headrest slip']);
    expect(new Set(orders.map(({ customer }) => customer)).size).toBe(8);
    for (const { id } of orders) {
      const order = (await getOrder(id))!;
      // Every demo order is one that the form would save as it stands.
      value(await saveOrder(order.form, { id, version: order.version }));
    }
  });

  test('every lay costs, cut so and by hand, what the database’s own decimal arithmetic makes of what it takes', async () => {
    await emptyTables(db);
    for (const id of await db.transaction((tx) => insertDemo(tx, new Date('2026-05-05'))))
      await layAtOnce(db, id, A_MOMENT);
    // A lay by hand lies on the bolt that the lay takes; all the demo's bolts reach for it.
    const { rows } = await db.execute(sql`
      WITH uses AS (
        SELECT l.id, l.hand_nm, l.cost_minor, l.hand_cost_minor, i.sort, (u->>'used')::numeric AS used,
          i.price_minor / (CASE i.price_per WHEN 'yd' THEN 914400000 WHEN 'm' THEN 1000000000 ELSE i.length_nm END)::numeric AS per_nm
        FROM lays l CROSS JOIN jsonb_array_elements(l.stock->'uses') u JOIN stock_items i ON i.id = (u->>'itemId')::int)
      SELECT cost_minor::text || ' ' || hand_cost_minor AS shown,
        sum(round(used * per_nm))::text || ' ' || max(round(hand_nm * per_nm)) FILTER (WHERE sort = 'bolt') AS again
      FROM uses GROUP BY id, cost_minor, hand_cost_minor`);
    expect(rows.length).toBeGreaterThan(6);
    for (const { shown, again } of rows) expect(shown).toBe(again);
  });
});

describe('kinds of the workroom’s own', () => {
  const pennant = {
    ...EMPTY_KIND,
    name: 'Pennant',
    about: 'One cloth with a sleeve for the pole.',
    results: [{ name: 'sleeve', is: 'max(inch(3), height / 10)' }],
    pieces: [{ name: 'flag', role: 'face' as const, qty: 1, across: 'width + allowance + sleeve', along: 'height' }],
  };

  test('are kept version by version; an order keeps the version that it was made with', async () => {
    const first = value(await saveKind(pennant, null));
    expect(first).toEqual({ id: 1, version: 1 });
    const own = (version: number) =>
      lineForm(cloth, { kind: 'own-1', kindVersion: version, typed: { width: '20', height: '40' } });
    const order = await newOrder([own(1)]);
    const wider = { ...pennant, pieces: [{ ...pennant.pieces[0]!, across: 'width + inch(12)' }] };
    expect(value(await saveKind(wider, first))).toEqual({ id: 1, version: 2 });
    const next = await newOrder([own(2)]);
    const acrossOf = async (id: number) => {
      const book = await loadKindBook(db);
      const { form } = (await getOrder(id))!;
      const read = readLineForm(form.lines[0]!, 'in', '1', book);
      const list = cutList([read.line], 'in', { kinds: book });
      return list.ok && list.value.pieces[0]!.across / NM.in;
    };
    expect(await acrossOf(order)).toBe(25);
    expect(await acrossOf(next)).toBe(32);
    // An edit that leaves the version alone keeps it.
    const { form, version } = (await getOrder(order))!;
    value(await saveOrder({ ...form, notes: 'again' }, { id: order, version }));
    expect((await getOrder(order))!.form.lines[0]!.kindVersion).toBe(1);
    expect((await listOwnKinds())[0]).toMatchObject({ name: 'Pennant', version: 2, uses: 2 });
  });

  test('with a fault are refused at its place and nothing is kept; an older edit is shown', async () => {
    const faulty = { ...pennant, results: [{ name: 'sleeve', is: 'height / (1 - 1)' }] };
    expect(faultsOf(await saveKind(faulty, null))).toEqual([
      { code: 'division-by-zero', field: 'results.0.is', message: 'The formula divides by zero.' },
    ]);
    expect(faultsOf(await saveKind({ ...pennant, pieces: 'none' }, null))[0]!.field).toBe('pieces');
    expect(await listOwnKinds()).toEqual([]);
    const first = value(await saveKind(pennant, null));
    value(await saveKind(pennant, first));
    expect(faultsOf(await saveKind(pennant, first))[0]!.code).toBe('stale');
  });

  test('go out as a document and come in again; withdrawn, they are not offered and orders go on', async () => {
    value(await saveKind(pennant, null));
    const { kind } = (await getOwnKind(1))!;
    expect(faultsOf(await importKind(kindToJson(kind), ''))[0]).toMatchObject({ code: 'same-name', field: 'name' });
    expect(faultsOf(await importKind(kindToJson(KINDS[0]!), ''))[0]!.message).toContain(
      `called “${KINDS[0]!.name}” already`,
    );
    const copy = value(await importKind(kindToJson(kind), 'Pennant again'));
    expect((await getOwnKind(copy.id))!.kind).toMatchObject({ name: 'Pennant again', pieces: kind.pieces });
    expect(faultsOf(await importKind('{"format":"x"}', ''))[0]!.message).toContain('not a cover kind');
    const order = await newOrder([lineForm(cloth, { kind: 'own-1', kindVersion: 1 })]);
    value(await withdrawKind(1, true));
    const book = await loadKindBook(db);
    expect(book.current.some(({ id }) => id === 'own-1')).toBe(false);
    expect(book.find('own-1', 1)!.name).toBe('Pennant');
    expect((await listOrders({}))[0]).toMatchObject({ id: order, what: '3 × Pennant' });
  });

  test('are laid like any other', async () => {
    value(await saveKind(pennant, null));
    const order = await newOrder([
      lineForm(cloth, { kind: 'own-1', kindVersion: 1, typed: { width: '20', height: '40' } }),
    ]);
    const batch = value(await createBatch({ name: 'Flags', lineIds: await linesOf(order) })).id;
    await layAtOnce(db, batch, A_MOMENT);
    expect((await getBatch(batch))!.lays[0]).toMatchObject({ unplaced: 0 });
  });
});

describe('the workroom’s rules', () => {
  test('start new lines; faults in them are shown at the field and change nothing', async () => {
    value(await saveRules({ units: 'mm', seam: '1', hem: '3', fit: 'snug', grain: 'straight', dueDays: '10' }));
    const rules = await workroomRules();
    expect(emptyLine(KINDS[0]!, rules)).toMatchObject({ fit: 'snug', typed: { seam: '1', hem: '3' } });
    expect(emptyLine(KINDS[0]!, rules, 'in').typed).toEqual({ seam: '1 cm', hem: '3 cm' });
    expect(
      emptyLine(
        KINDS.find(({ id }) => id === 'device-sleeve')!,
        rules,
      ).typed,
    ).toEqual({});
    expect(faultsOf(await saveRules({ ...rules, seam: 'wide', dueDays: '-1' })).map(({ field }) => field)).toEqual([
      'seam',
      'dueDays',
    ]);
    expect(await workroomRules()).toEqual(rules);
  });
});

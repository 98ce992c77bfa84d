import { describe, expect, test } from 'vitest';
import { schema } from '@/db';
import { createBatch } from '@/features/batches/actions';
import { batchLines, countWaiting, getBatch } from '@/features/batches/queries';
import { copyOrder, deleteOrder, restoreOrder, saveOrder } from '@/features/orders/actions';
import { getOrder, listOrders as pageOfOrders, type OrderQuery } from '@/features/orders/queries';
import { usualDue } from '@/features/workroom/form';
import { workroomRules } from '@/features/workroom/queries';
import { importSheet } from '@/features/orders/import';
import { inches, NM } from '@/core/length';
import { layAtOnce } from '@/work/lay-batch';
import { KINDS } from '@/core/covers';
import { emptyLine } from '@/features/orders/form';
import { lineForm, orderForm } from '../support/forms';
import { A_MOMENT, faultsOf, value, cloth, db, inWorkroom } from '../support/workroom';
import { linesOf, savedOrder } from '../support/orders';

// Orders as they are kept: as they were typed, whole or not at all; and those that come from a sheet.

inWorkroom();

const listOrders = async (query: OrderQuery) => (await pageOfOrders(query)).orders;
const newOrder = (lines = [lineForm(cloth)], rest = {}) => savedOrder(lines, rest);

describe('orders', () => {
  test('keep lengths in nanometres and as they were typed, hems turn by turn', async () => {
    const id = await newOrder([lineForm(cloth, { typed: { width: `1' 6 1/2`, height: '47 cm', hem: '1/4 + 1 cm' } })]);
    const values = await db.select().from(schema.lineValues).orderBy(schema.lineValues.name, schema.lineValues.part);
    expect(values.map(({ name, part, valueNm, typed }) => [name, part, valueNm, typed])).toEqual([
      ['height', 0, 470 * NM.mm, '47 cm'],
      ['hem', 0, inches(0.25), '1/4'],
      ['hem', 1, 10 * NM.mm, '1 cm'],
      ['width', 0, inches(18.5), `1' 6 1/2`],
    ]);
    const order = await getOrder(id);
    expect(order!.form.lines[0]!.typed).toEqual({ width: `1' 6 1/2`, height: '47 cm', hem: '1/4 + 1 cm' });
    expect(order!.form.customer).toBe('Mill Race Players');
  });

  test('keep a traced outline as it was typed; a crossing or misspelt one is refused at its field', async () => {
    const traced = (outline: string) =>
      lineForm(cloth, {
        ...emptyLine(KINDS.find(({ letter }) => letter === 'H')!),
        typed: { thickness: '2' },
        qty: '2',
        cloth: { face: String(cloth) },
        outline,
      });
    const typed = '0, 0\n16, 0\n14 1/2, 15\n1 1/2, 15';
    const id = await newOrder([traced(typed)]);
    expect((await getOrder(id))!.form.lines[0]).toMatchObject({ outline: typed });
    const [line] = await db.select().from(schema.orderLines);
    expect(line!.outline!.corners).toEqual(
      [
        [0, 0],
        [16, 0],
        [14.5, 15],
        [1.5, 15],
      ].map((at) => at.map(inches)),
    );
    expect(value(await createBatch({ name: 'Traced', lineIds: await linesOf(id) })).id).toBe(1);
    for (const wrong of ['0, 0\n16, 0', '0, 0\nx, 3\n9, 9', '0, 0\n9, 9\n9, 0\n0, 9'])
      expect(faultsOf(await saveOrder(orderForm([traced(wrong)]), null))).toMatchObject([{ field: 'lines.0.outline' }]);
  });

  test('keep every kind as it was entered, counts and open measures too', async () => {
    const sizes: Record<string, string> = {
      wrap: '15 1/4',
      cover: '6 1/2',
      drop: '11 1/2',
      thickness: '2',
      flange: '2',
      band: '6',
    };
    for (const kind of KINDS) {
      const typed = Object.fromEntries(
        kind.measures.filter(({ default: usual }) => !usual).map(({ id }) => [id, sizes[id] ?? '18']),
      );
      const choices = Object.fromEntries(
        kind.options.flatMap((option): [string, string][] => (option.type === 'count' ? [[option.id, '3']] : [])),
      );
      const id = await newOrder([
        { ...lineForm(cloth), ...emptyLine(kind), qty: '2', typed, choices, cloth: { face: String(cloth) } },
      ]);
      expect((await getOrder(id))!.form.lines[0]).toMatchObject({ kind: kind.id, typed, choices });
    }
    const everything = (await Promise.all((await listOrders({})).map(({ id }) => linesOf(id)))).flat();
    const id = value(await createBatch({ name: 'One of each', lineIds: everything })).id;
    await layAtOnce(db, id, A_MOMENT);
    const { batch, lays } = (await getBatch(id))!;
    expect([batch.status, batch.error, lays.length]).toEqual(['laid', '', 1]);
  });

  test('are listed by how many they have of each kind, whatever the number of their lines', async () => {
    const of = (kind: string, qty: string, typed: Record<string, string>) => lineForm(cloth, { kind, qty, typed });
    const square = { width: '18', height: '18' };
    await newOrder([
      of('envelope-cushion', '4', square),
      of('floor-cushion', '1', square),
      of('envelope-cushion', '2', { width: '20', height: '16' }),
    ]);
    expect((await listOrders({}))[0]!.what).toBe('6 × Envelope cushion, 1 × Floor cushion');
  });

  test('give every order its own number and customers are known whatever their capitals', async () => {
    const ids = await Promise.all(
      ['Mill Race Players', 'MILL RACE players', 'Other'].map((customer) => newOrder([lineForm(cloth)], { customer })),
    );
    const orders = await Promise.all(ids.map((id) => getOrder(id)));
    expect(new Set(orders.map((order) => order!.no)).size).toBe(3);
    expect(await db.select().from(schema.customers)).toHaveLength(2);
  });

  test('an edit on an older version is refused with a way on, and can then be saved over it', async () => {
    const id = await newOrder();
    const seen = (await getOrder(id))!;
    value(await saveOrder({ ...seen.form, notes: 'theirs' }, { id, version: seen.version }));
    const mine = { ...seen.form, notes: 'mine' };
    const refused = await saveOrder(mine, { id, version: seen.version });
    expect(refused).toMatchObject({ ok: false, stale: { version: seen.version + 1 }, faults: [{ code: 'stale' }] });
    expect((await getOrder(id))!.form.notes).toBe('theirs');
    if (!refused.ok) value(await saveOrder(mine, { id, version: refused.stale!.version }));
    expect((await getOrder(id))!.form.notes).toBe('mine');
  });

  test('of two saves at the same moment exactly one goes through', async () => {
    const id = await newOrder();
    const { form, version } = (await getOrder(id))!;
    const answers = await Promise.all(
      ['a', 'b', 'c', 'd'].map((notes) => saveOrder({ ...form, notes }, { id, version })),
    );
    expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
    expect(answers.filter((answer) => !answer.ok && answer.stale)).toHaveLength(3);
  });

  test.each([
    ['customer', { customer: '  ' }, 'Say who the order is for.'],
    ['due', { due: 'soon' }, 'Choose the day when it is due.'],
    ['lines', { lines: [] }, 'An order needs at least one line.'],
  ])('a bad %s is one sentence at the field and nothing is written', async (field, rest, message) => {
    const answer = await saveOrder(orderForm([lineForm(cloth)], rest), null);
    expect(faultsOf(answer)).toEqual([expect.objectContaining({ field, message })]);
    expect(await db.select().from(schema.orders)).toEqual([]);
    expect(await db.select().from(schema.customers)).toEqual([]);
  });

  test.each([
    ['lines.0.typed.width', { typed: { width: '12 elbows', height: '4' } }, 'not a unit of length'],
    ['lines.0.typed.height', { typed: { width: '12' } }, 'Height is needed.'],
    ['lines.0.typed.width', { typed: { width: '0', height: '4' } }, 'more than zero'],
    ['lines.0.typed.overlap', { typed: { width: '12', height: '12', overlap: '0' } }, 'would overlap 0 in'],
    ['lines.0.qty', { qty: '2.5' }, 'whole number'],
    ['lines.0.qty', { qty: '' }, 'whole number'],
    ['lines.0.cloth.face', { cloth: {} }, 'Choose the cloth.'],
    ['lines.0.cloth.face', { cloth: { face: '9999' } }, 'no longer kept'],
    ['lines.0.kind', { kind: 'hat' }, 'not a cover kind'],
  ])('a fault at %s is shown there', async (field, rest, message) => {
    const answer = await saveOrder(orderForm([lineForm(cloth, rest as object)]), null);
    expect(faultsOf(answer)).toContainEqual(
      expect.objectContaining({ field, message: expect.stringContaining(message) }),
    );
    expect(await db.select().from(schema.orders)).toEqual([]);
  });

  test('what no form would send is refused, not crashed on', async () => {
    for (const input of [
      null,
      1,
      'x',
      [],
      {},
      { lines: 'x' },
      { ...orderForm([lineForm(cloth)]), lines: [{ evil: true }] },
      orderForm([lineForm(cloth, { typed: { width: 'x'.repeat(5000), height: '1' } })]),
    ]) {
      expect((await saveOrder(input, null)).ok).toBe(false);
    }
  });

  test('copy, delete and undo', async () => {
    const id = await newOrder([lineForm(cloth), lineForm(cloth, { qty: '2' })]);
    const copy = value(await copyOrder(id)).id;
    expect((await getOrder(copy))!.form).toMatchObject({
      due: usualDue(await workroomRules()),
      lines: [{ qty: '3' }, { qty: '2' }],
    });
    value(await deleteOrder(id));
    expect((await listOrders({})).map((order) => order.id)).toEqual([copy]);
    expect((await batchLines(null)).lines).toHaveLength(2);
    expect(await countWaiting()).toBe(2);
    expect((await deleteOrder(id)).ok).toBe(false);
    value(await restoreOrder(id));
    expect(await listOrders({})).toHaveLength(2);
  });

  test('are found by number, customer, notes and kind; a percent sign is only a sign', async () => {
    await newOrder([lineForm(cloth)], { customer: 'Quay Workroom', notes: 'window seat 100% wool' });
    await newOrder([lineForm(cloth, { kind: 'zip-cushion', fit: 'snug' })], { customer: 'Mill Race Players' });
    const find = async (search: string) => (await listOrders({ search })).map(({ customer }) => customer);
    expect(await find('quay')).toEqual(['Quay Workroom']);
    expect(await find('zip')).toEqual(['Mill Race Players']);
    expect(await find('window wool')).toEqual(['Quay Workroom']);
    expect(await find('100%')).toEqual(['Quay Workroom']);
    expect(await find('%')).toEqual(['Quay Workroom']);
    expect(await find('202')).toEqual(['Mill Race Players']);
    expect(await find(`'; DROP TABLE orders; --`)).toEqual([]);
  });
});

describe('directions and wide parts', () => {
  test('are kept with their line and reach the lay', async () => {
    const line = lineForm(cloth, {
      kind: 'boxed-cushion',
      typed: { length: '80', width: '20', thickness: '3' },
      directions: { 'side boxing': 'across' },
      panels: { top: 'sideways' },
    });
    const order = await newOrder([{ ...line, qty: '1' }]);
    expect((await getOrder(order))!.form.lines[0]).toMatchObject({
      directions: { 'side boxing': 'across' },
      panels: { top: 'sideways' },
    });
    const batch = value(await createBatch({ name: 'Bench', lineIds: await linesOf(order) })).id;
    await layAtOnce(db, batch, A_MOMENT);
    const [lay] = await db.select().from(schema.lays);
    const sizes = Object.fromEntries(
      (lay!.job as { pieces: { id: string; size: number[] }[] }).pieces.map(({ id, size }) => [
        id.split('/1 ')[1],
        size,
      ]),
    );
    // The top runs along the bolt, the bottom is joined; the boxing of the sides lies sideways.
    expect(sizes).toMatchObject({ top: [21, 81], 'bottom, middle': [53, 21], 'side boxing': [4, 21] });
    expect((await getBatch(batch))!.lays[0]).toMatchObject({ unplaced: 0 });
  });
});

describe('orders from a sheet', () => {
  const columns = ['Order', 'Customer', 'Kind', 'How many', 'Width', 'Height', 'Hem', 'Cloth'];
  const fields = ['order', 'customer', 'kind', 'qty', 'value:width', 'value:height', 'value:hem', 'cloth:face'];
  const row = (order: string, width: string, rest: Partial<Record<number, string>> = {}) =>
    [order, 'The Lock Workroom', 'Envelope cushion', '2', width, '17', '1/4 + 1/2', 'test reed'].map(
      (cell, i) => rest[i] ?? cell,
    );

  const sheetOf = (rows: string[][], isPartial = false) => ({ sheet: { columns, rows }, fields, isPartial });

  test('an order with a wrong row stays out whole, unless the person says so', async () => {
    const rows = [row('A', '17'), row('A', 'wide'), row('B', '18')];
    expect(value(await importSheet(sheetOf(rows)))).toEqual({ orders: 1, lines: 1 });
    expect((await getOrder(1))!.form.lines[0]!.typed.width).toBe('18');
    expect(value(await importSheet(sheetOf(rows, true)))).toEqual({ orders: 2, lines: 2 });
  });

  test('a cell with a character that no database keeps is shown at the cell; the rest comes in', async () => {
    const strange = row('A', '17', { 1: 'The\u0000 Lock' });
    expect(value(await importSheet(sheetOf([strange, row('B', '18'), row('C', '\ud800')])))).toEqual({
      orders: 1,
      lines: 1,
    });
  });

  test('the good rows come in as orders, as if they had been typed; the bad ones stay out', async () => {
    const answer = await importSheet(
      sheetOf([row('A', '17 1/2'), row('A', 'wide'), row('B', '18'), row('A', '19')], true),
    );
    expect(value(answer)).toEqual({ orders: 2, lines: 3 });
    const [a, b] = [(await getOrder(1))!, (await getOrder(2))!];
    expect([a.no, b.no]).toEqual([201, 202]);
    expect(a.form.lines.map(({ typed }) => typed)).toEqual([
      { width: '17 1/2', height: '17', hem: '1/4 + 1/2' },
      { width: '19', height: '17', hem: '1/4 + 1/2' },
    ]);
    expect(b.form.lines[0]!.cloth).toEqual({ face: String(cloth) });
    // The next order goes on with the numbers.
    expect((await getOrder(await newOrder()))!.no).toBe(203);
  });

  test('a sheet without a good row brings in nothing; one that is called off neither', async () => {
    expect(faultsOf(await importSheet(sheetOf([row('A', 'x')])))[0]!.message).toContain('No order');
    const abort = new AbortController();
    abort.abort();
    expect(faultsOf(await importSheet(sheetOf([row('A', '17')]), abort.signal))[0]!.code).toBe('cancelled');
    expect(await listOrders({})).toEqual([]);
    expect(await db.select().from(schema.customers)).toEqual([]);
  });
});

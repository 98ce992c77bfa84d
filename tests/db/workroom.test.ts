import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { schema, type Database } from '@/db';
import { DEMO_BATCHES, insertDemo } from '@/db/demo';
import { emptyTables } from '@/db/empty';
import { approveBatch, createBatch, deleteBatch, makeLays, removeLine, stopLays } from '@/features/batches/actions';
import { markCut } from '@/features/cutting/actions';
import { batchLines, batchProgress, getBatch, listBatches } from '@/features/batches/queries';
import { deleteCloth, saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { getCloth, listCloths } from '@/features/cloth/queries';
import { copyOrder, deleteOrder, restoreOrder, saveOrder } from '@/features/orders/actions';
import { getOrder, listOrders as pageOfOrders, type OrderQuery } from '@/features/orders/queries';
import { importKind, saveKind, saveRules, withdrawKind } from '@/features/workroom/actions';
import { EMPTY_KIND, usualDue } from '@/features/workroom/form';
import { getOwnKind, workroomRules, listOwnKinds } from '@/features/workroom/queries';
import { importSheet } from '@/features/orders/import';
import { getLays } from '@/features/table/queries';
import { cutList } from '@/core/cutlist';
import { kindToJson } from '@/core/files';
import { loadKindBook } from '@/db/kinds';
import { inches, NM } from '@/core/length';
import { findFaults, readJob } from '@/core/lay';
import { readMarker } from '@/core/marker';
import { toCloth } from '@/db/rows';
import { layAtOnce } from '@/work/lay-batch';
import { KINDS } from '@/core/covers';
import { emptyLine, readLineForm } from '@/features/orders/form';
import { lineForm, orderForm } from '../support/forms';
import { A_MOMENT, faultsOf, openWorkroom, resetWorkroom, value } from '../support/workroom';

let db: Database;
let close: () => Promise<void>;
let cloth: number;

const listOrders = async (query: OrderQuery) => (await pageOfOrders(query)).orders;

beforeAll(async () => {
  ({ db, close } = await openWorkroom());
});
afterAll(() => close());
beforeEach(async () => {
  cloth = await resetWorkroom(db);
});

const newOrder = async (lines = [lineForm(cloth)], rest = {}) =>
  value(await saveOrder(orderForm(lines, rest), null)).id;
const linesOf = async (orderId: number) => (await getOrder(orderId))!.form.lines.map(({ id }) => id!);

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
    ['lines.0.kind', { kind: 'hat' }, 'kind of cover'],
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
    expect((await getOrder(copy))!.form).toMatchObject({ due: usualDue(await workroomRules()), lines: [{ qty: '3' }, { qty: '2' }] }); // prettier-ignore
    value(await deleteOrder(id));
    expect((await listOrders({})).map((order) => order.id)).toEqual([copy]);
    expect((await batchLines(null)).lines).toHaveLength(2);
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

describe('cloth', () => {
  test('comes back as it was typed, in its own fractions', async () => {
    const id = value(
      await saveCloth(
        {
          ...EMPTY_CLOTH,
          name: 'Fine stripe',
          width: '53 7/8',
          repeatAcross: '2 1/4',
          price: '12.5',
          sellingStep: '1/8 yd',
        },
        null,
      ),
    ).id;
    expect((await getCloth(id))!.form).toMatchObject({
      width: '53 7/8',
      selvageLeft: '1/2',
      repeatAcross: '2 1/4',
      repeatAlong: '',
      price: '12.50',
      sellingStep: '1/8 yd',
      drop: '0',
    });
    const metric = value(
      await saveCloth(
        {
          ...EMPTY_CLOTH,
          name: 'Metric',
          units: 'mm',
          width: '1 m 42',
          selvageLeft: '8 mm',
          selvageRight: '',
          price: '9',
          pricePer: 'm',
          sellingStep: '10 cm',
          repeatAcross: '16',
          repeatAlong: '22',
          drop: '0.25',
        },
        null,
      ),
    ).id;
    expect((await getCloth(metric))!.form).toMatchObject({
      width: '142',
      selvageLeft: '0.8',
      selvageRight: '',
      drop: '1/4',
      sellingStep: '10 cm',
    });
  });

  test.each([
    ['name', { name: ' ' }],
    ['name', { name: 'TEST REED' }],
    ['width', { width: '0' }],
    ['width', { width: 'wide' }],
    ['selvageLeft', { width: '1', selvageLeft: '1' }],
    ['drop', { drop: '1' }],
    ['drop', { drop: '1/2' }],
    ['price', { price: '-3' }],
    ['price', { price: '' }],
    ['sellingStep', { sellingStep: '0' }],
    ['currency', { currency: 'gb' }],
    ['groundColour', { groundColour: 'red' }],
  ])('a bad %s is refused at its field', async (field, rest) => {
    const answer = await saveCloth({ ...EMPTY_CLOTH, name: 'Another', price: '1', ...rest }, null);
    expect(faultsOf(answer)).toContainEqual(expect.objectContaining({ field }));
    expect(await listCloths()).toHaveLength(1);
  });

  test('is kept while orders are cut from it', async () => {
    await newOrder();
    expect(faultsOf(await deleteCloth(cloth))[0]!.message).toContain('Orders are cut from this cloth');
    const other = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Unused', price: '1' }, null)).id;
    value(await deleteCloth(other));
    expect(await listCloths()).toHaveLength(1);
  });

  test('a stale edit is refused', async () => {
    const seen = (await getCloth(cloth))!;
    value(await saveCloth({ ...seen.form, notes: 'x' }, { id: cloth, version: seen.version }));
    expect(await saveCloth(seen.form, { id: cloth, version: seen.version })).toMatchObject({
      ok: false,
      stale: { version: seen.version + 1 },
    });
  });
});

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

describe('batches', () => {
  const lay = (id: number, seconds = A_MOMENT) => layAtOnce(db, id, seconds);
  /** Waits until a batch's run has found its first lay, so that what comes next comes in the middle of it. */
  const untilLaying = async (id: number) => {
    for (let tries = 0; tries < 400; tries++) {
      const progress = await batchProgress(id);
      if (progress?.status === 'laying' && progress.best) return;
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
    throw new Error('The lays were not begun.');
  };
  const batchOf = async (...orders: number[]) =>
    value(await createBatch({ name: 'Test batch', lineIds: (await Promise.all(orders.map(linesOf))).flat() })).id;

  test('take waiting lines whole or not at all', async () => {
    const [a, b] = [await newOrder(), await newOrder()];
    await batchOf(a);
    const again = await createBatch({ name: 'Second', lineIds: [...(await linesOf(a)), ...(await linesOf(b))] });
    expect(faultsOf(again)[0]).toMatchObject({ field: 'lineIds', code: 'taken' });
    expect((await batchLines(null)).lines).toHaveLength(1);
    expect((await listBatches()).batches).toHaveLength(1);
    expect(faultsOf(await createBatch({ name: '', lineIds: [1] }))[0]!.field).toBe('name');
    expect(faultsOf(await createBatch({ name: 'x', lineIds: [] }))[0]!.field).toBe('lineIds');
  });

  test('get a valid lay with the pattern matched, costed and shared to the cent', async () => {
    const plain = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Plain', price: '7.77', turns: 'any' }, null)).id;
    const first = await newOrder([
      lineForm(cloth, { matching: 'alike' }),
      lineForm(plain, {
        kind: 'boxed-cushion',
        fit: 'true',
        typed: { length: '23', width: '19', thickness: '2 1/2' },
        choices: { piping: 'both' },
        cloth: { face: String(plain), welt: String(cloth) },
      }),
    ]);
    const second = await newOrder([lineForm(cloth, { matching: 'centred', qty: '2' })]);
    const id = await batchOf(first, second);
    await lay(id);
    const { batch, lays } = (await getBatch(id))!;
    expect(batch.status).toBe('laid');
    expect(lays.map(({ clothName }) => clothName)).toEqual(['Plain', 'Test reed']);
    for (const view of await getLays(id)) {
      const stored = (await db.select().from(schema.lays).where(eq(schema.lays.id, view.id)))[0]!;
      const job = readJob(stored.job);
      if (!job.ok) throw new Error(job.faults[0]!.message);
      const mmToNm = (plan: unknown) =>
        plan as {
          lays: {
            stock: string;
            used: number;
            placed: { piece: string; copy: number; x: number; y: number; turn: number }[];
            cuts: { strip: string; copy: number; length: number; outline: [number, number][] }[];
          }[];
          totals: { used: number; bound: number };
        };
      const plan = mmToNm(stored.plan);
      const nm = (x: number) => Math.round(x * NM.in);
      const faults = findFaults(job.value, {
        used: nm(plan.totals.used),
        endless: nm(plan.totals.used),
        passes: 0,
        refused: 0,
        bound: nm(plan.totals.bound),
        unplaced: [],
        lays: plan.lays.map((one) => ({
          stock: one.stock,
          used: nm(one.used),
          placed: one.placed.map((p) => ({ ...p, x: nm(p.x), y: nm(p.y) })),
          cuts: one.cuts.map((c) => ({
            ...c,
            length: nm(c.length),
            outline: c.outline.map(([x, y]) => [nm(x), nm(y)]) as never,
          })),
        })),
      });
      expect(faults).toEqual([]);
      expect(view.orders.reduce((sum, { byLengthMinor }) => sum + byLengthMinor, 0)).toBe(view.costMinor);
      expect(view.orders.reduce((sum, { byAreaMinor }) => sum + byAreaMinor, 0)).toBe(view.costMinor);
      expect(view.boughtNm % inches(9)).toBe(0);
      expect(view.boughtNm).toBeGreaterThanOrEqual(view.usedNm);
      expect(view.handNm).toBeGreaterThanOrEqual(view.usedNm);
    }
  });

  test('approving freezes: orders, lines and lays stay as they were made', async () => {
    const order = await newOrder();
    const id = await batchOf(order);
    expect(faultsOf(await approveBatch(id, 1))[0]!.code).toBe('not-laid');
    await lay(id);
    const { batch } = (await getBatch(id))!;
    expect(await approveBatch(id, batch.version - 1)).toMatchObject({ ok: false, stale: {} });
    value(await approveBatch(id, batch.version));
    const before = await getLays(id);
    const seen = (await getOrder(order))!;
    expect(seen.form.lines[0]!.frozenBy).toBe('Test batch');
    const changed = {
      ...seen.form,
      notes: 'new note',
      lines: [{ ...seen.form.lines[0]!, qty: '99' }, lineForm(cloth)],
    };
    value(await saveOrder(changed, { id: order, version: seen.version }));
    const after = (await getOrder(order))!.form;
    expect(after.notes).toBe('new note');
    expect(after.lines.map(({ qty }) => qty)).toEqual(['3', '3']);
    const stored = (await getCloth(cloth))!;
    value(await saveCloth({ ...stored.form, price: '99', width: '40' }, { id: cloth, version: stored.version }));
    expect(await getLays(id)).toEqual(before);
    expect(faultsOf(await deleteOrder(order))[0]!.code).toBe('frozen');
    expect(faultsOf(await removeLine(id, (await linesOf(order))[0]!))[0]!.code).toBe('frozen');
    expect(faultsOf(await deleteBatch(id))[0]!.code).toBe('frozen');
    expect(
      faultsOf(await saveOrder({ ...after, lines: [after.lines[1]!] }, { id: order, version: seen.version + 1 }))[0]!
        .code,
    ).toBe('frozen');
    value(await markCut(id));
    expect(faultsOf(await markCut(id))[0]!.code).toBe('not-approved');
    expect((await listOrders({ only: 'waiting' })).map((row) => row.id)).toEqual([order]);
  });

  test('a changed order opens its batch again and drops the lays; the batch says why, and who saves is told', async () => {
    const order = await newOrder();
    const id = await batchOf(order);
    await lay(id);
    const { form, version } = (await getOrder(order))!;
    const bigger = { ...form, lines: [{ ...form.lines[0]!, qty: '4' }] };
    expect(value(await saveOrder(bigger, { id: order, version })).reopened).toEqual(['Test batch']);
    const { batch, lays, lines } = (await getBatch(id))!;
    expect([batch.status, lays.length, lines.length]).toEqual(['draft', 0, 1]);
    expect(batch.note).toMatch(/^Order \d+ has changed$/);
    // There is nothing left to drop.
    expect(value(await saveOrder(bigger, { id: order, version: version + 1 })).reopened).toEqual([]);
    expect((await getOrder(order))!.form.lines[0]!.qty).toBe('4');
  });

  test('what changes nothing that is cut keeps the lays: customer, day, notes, one more line, the look of a cloth', async () => {
    const order = await newOrder([lineForm(cloth), lineForm(cloth, { typed: { width: '12', height: '20' } })]);
    const id = await batchOf(order);
    await lay(id);
    const figures = async () => (await getBatch(id))!.lays.map(({ id: lay, usedNm, costMinor }) => [lay, usedNm, costMinor]); // prettier-ignore
    const before = await figures();
    expect(before).toHaveLength(1);
    const { form, version } = (await getOrder(order))!;
    const kept = { ...form, customer: 'Somebody else', due: '2027-06-01', notes: 'by the back door', lines: [...form.lines, lineForm(cloth)] }; // prettier-ignore
    expect(value(await saveOrder(kept, { id: order, version })).reopened).toEqual([]);
    const stored = (await getCloth(cloth))!;
    const look = { ...stored.form, notes: 'on the upper shelf' };
    expect(value(await saveCloth(look, { id: cloth, version: stored.version })).reopened).toEqual([]);
    expect((await getBatch(id))!.batch.status).toBe('laid');
    expect(await figures()).toEqual(before);
    expect((await getOrder(order))!.form.lines).toHaveLength(3);
    const wider = { ...look, width: '60' };
    expect(value(await saveCloth(wider, { id: cloth, version: stored.version + 1 })).reopened).toEqual(['Test batch']);
    const { batch } = (await getBatch(id))!;
    expect([batch.status, batch.note]).toEqual(['draft', 'Test reed has changed']);
  });

  test('a result that comes after a change is not taken', async () => {
    const order = await newOrder();
    const id = await batchOf(order);
    const running = lay(id, 8);
    await untilLaying(id);
    const seen = (await getOrder(order))!;
    const meanwhile = { ...seen.form, lines: [{ ...seen.form.lines[0]!, qty: '5' }] };
    value(await saveOrder(meanwhile, { id: order, version: seen.version }));
    await running;
    const view = (await getBatch(id))!;
    expect([view.batch.status, view.lays.length]).toEqual(['draft', 0]);
  });

  test('a lay that is made again keeps its id and counts its versions; older ones stay readable, also after a change', async () => {
    const order = await newOrder();
    const id = await batchOf(order);
    await lay(id);
    const [first] = await db.select().from(schema.lays);
    await lay(id);
    const [second] = await db.select().from(schema.lays);
    expect([second!.id, first!.version, second!.version]).toEqual([first!.id, 1, 2]);
    const seen = (await getOrder(order))!;
    value(await saveOrder({ ...seen.form, lines: [{ ...seen.form.lines[0]!, qty: '5' }] }, { id: order, version: seen.version })); // prettier-ignore
    await lay(id);
    const [third] = await db.select().from(schema.lays);
    expect(third!.version).toBe(3);
    const older = await db.select().from(schema.layVersions).orderBy(schema.layVersions.version);
    expect(older.map(({ version, usedNm }) => [version, usedNm])).toEqual([
      [1, first!.usedNm],
      [2, second!.usedNm],
    ]);
    for (const row of older) {
      const read = readMarker(row, toCloth(row.cloth as Parameters<typeof toCloth>[0]));
      if (!read.ok) throw new Error(read.faults[0]!.message);
      expect(findFaults(read.value.job, read.value.plan)).toEqual([]);
      expect(read.value.plan.used).toBe(row.usedNm);
    }
  });

  test('stopping keeps the best lay so far, soon', async () => {
    const id = await batchOf(await newOrder([lineForm(cloth, { qty: '20', matching: 'alike' })]));
    const start = Date.now();
    const running = lay(id, 60);
    await untilLaying(id);
    value(await stopLays(id));
    await running;
    expect(Date.now() - start).toBeLessThan(20_000);
    const { batch, lays } = (await getBatch(id))!;
    expect([batch.status, lays.length, lays[0]!.unplaced]).toEqual(['laid', 1, 0]);
  });

  test('a cover that can’t be cut from its cloth is unplaced with the reason, and can’t be approved', async () => {
    const id = await batchOf(await newOrder([lineForm(cloth, { typed: { width: '70', height: '12', seam: '14' } })]));
    await lay(id);
    const { batch, lays } = (await getBatch(id))!;
    expect(lays[0]!.unplaced).toBe(9);
    expect((await getLays(id))[0]!.unplaced[0]!.why).toBe('no stock length is wide enough');
    expect(faultsOf(await approveBatch(id, batch.version))[0]!.code).toBe('unplaced');
  });

  test('an empty batch fails in words; a removed line waits again', async () => {
    const order = await newOrder();
    const id = await batchOf(order);
    value(await removeLine(id, (await linesOf(order))[0]!));
    await lay(id);
    expect((await getBatch(id))!.batch).toMatchObject({
      status: 'failed',
      error: expect.stringContaining('nothing to cut'),
    });
    expect((await batchLines(null)).lines).toHaveLength(1);
    value(await deleteBatch(id));
    expect(await getBatch(id)).toBeNull();
  });

  test('nonsense seconds and batches that are not there are refused', async () => {
    expect(faultsOf(await makeLays(1, 0))[0]!.field).toBe('seconds');
    expect(faultsOf(await makeLays(1, 1e9))[0]!.field).toBe('seconds');
    expect(faultsOf(await makeLays(4711, 5))[0]!.code).toBe('gone');
    expect(faultsOf(await approveBatch(4711, 1))[0]!.code).toBe('gone');
  });
});

describe('the demo workroom', () => {
  test('loads whole into an empty database', async () => {
    await emptyTables(db);
    const ids = await db.transaction((tx) => insertDemo(tx, new Date('2026-05-05')));
    expect(ids).toHaveLength(DEMO_BATCHES.length);
    expect(await listCloths()).toHaveLength(17);
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

  test('with a fault are refused at its place and nothing is kept; an older edit is told', async () => {
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
    const copy = value(await importKind(kindToJson(kind)));
    expect((await getOwnKind(copy.id))!.kind).toMatchObject({ name: 'Pennant', pieces: kind.pieces });
    expect(faultsOf(await importKind('{"format":"x"}'))[0]!.message).toContain('not a cover kind');
    const order = await newOrder([lineForm(cloth, { kind: 'own-1', kindVersion: 1 })]);
    value(await withdrawKind(1, true));
    const book = await loadKindBook(db);
    expect(book.current.some(({ id }) => id === 'own-1')).toBe(false);
    expect(book.find('own-1', 1)!.name).toBe('Pennant');
    expect((await listOrders({}))[0]).toMatchObject({ id: order, what: '3 pennant' });
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

  test('a cell with a character that no database keeps is told at the cell; the rest comes in', async () => {
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

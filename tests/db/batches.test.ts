import { eq } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { schema } from '@/db';
import { approveBatch, createBatch, deleteBatch, makeLays, removeLine, stopLays } from '@/features/batches/actions';
import { markCut } from '@/features/cutting/actions';
import { batchLines, batchProgress, getBatch, listBatches } from '@/features/batches/queries';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { getCloth } from '@/features/cloth/queries';
import { deleteOrder, saveOrder } from '@/features/orders/actions';
import { getOrder, listOrders as pageOfOrders, type OrderQuery } from '@/features/orders/queries';
import { getLays } from '@/features/table/queries';
import { inches, NM } from '@/core/length';
import { findFaults, readJob } from '@/core/lay';
import { readMarker } from '@/core/marker';
import { toCloth } from '@/db/rows';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm } from '../support/forms';
import { A_MOMENT, faultsOf, value, cloth, db, inWorkroom } from '../support/workroom';
import { linesOf, savedOrder } from '../support/orders';

// Batches from their lines to their lays, and what drops or freezes these.

inWorkroom();

const listOrders = async (query: OrderQuery) => (await pageOfOrders(query)).orders;
const newOrder = (lines = [lineForm(cloth)], rest = {}) => savedOrder(lines, rest);

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
    const changed = { ...seen.form, notes: 'new note', lines: [...seen.form.lines, lineForm(cloth)] };
    const more = { ...changed, lines: [{ ...seen.form.lines[0]!, qty: '99' }, lineForm(cloth)] };
    const refused = faultsOf(await saveOrder(more, { id: order, version: seen.version }))[0]!;
    expect([refused.code, (await getOrder(order))!.form.notes]).toEqual(['frozen', seen.form.notes]);
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

  test('a changed order opens its batch again and drops the lays; the batch says why, and who saves is shown', async () => {
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
    const figures = async () =>
      (await getBatch(id))!.lays.map(({ id: lay, usedNm, costMinor }) => [lay, usedNm, costMinor]);
    const before = await figures();
    expect(before).toHaveLength(1);
    const { form, version } = (await getOrder(order))!;
    const kept = {
      ...form,
      customer: 'Somebody else',
      due: '2027-06-01',
      notes: 'by the back door',
      lines: [...form.lines, lineForm(cloth)],
    };
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
    value(
      await saveOrder(
        { ...seen.form, lines: [{ ...seen.form.lines[0]!, qty: '5' }] },
        { id: order, version: seen.version },
      ),
    );
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

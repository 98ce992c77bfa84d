import { eq, sql } from 'drizzle-orm';
import fc from 'fast-check';
import { beforeEach, describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { inches, NM } from '@/core/length';
import { SPLIT_PARTS } from '@/core/stock';
import { schema } from '@/db';
import { approveBatch, createBatch, makeLays, withdrawApproval } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { deleteCloth, saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { closeLay, markCut, recutPiece } from '@/features/cutting/actions';
import type { CutForm } from '@/features/cutting/form';
import { loadCut } from '@/features/cutting/load-cut';
import { kindById } from '@/core/covers';
import { saveOrder } from '@/features/orders/actions';
import { emptyLine } from '@/features/orders/form';
import { getOrder } from '@/features/orders/queries';
import { bookCount, chooseStock, countItem, reverseMovement, letGo, moveItem, receive } from '@/features/stock/actions';
import { countList, getItem, listShelf, shelfWorth } from '@/features/stock/queries';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm, orderForm } from '../support/forms';
import { conserves, receipt } from '../support/stock';
import { A_MOMENT, faultsOf, value, db, inWorkroom } from '../support/workroom';

// The shelf as a ledger: what came in is what is left and where the rest went, whatever happens and whoever comes at the same moment.

let cloth: number;

inWorkroom();
beforeEach(async () => {
  cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '12', turns: 'half' }, null)).id;
});

const bolt = async (rest = {}) => value(await receive(receipt(cloth, rest))).id;
const item = async (id: number) => (await getItem(id))!;
/** Two faces of 30 x 30, which leave 23 beside them. */
const large = () =>
  lineForm(cloth, {
    ...emptyLine(kindById('zip-cushion')!),
    qty: '1',
    typed: { width: '30', height: '30' },
    cloth: { face: String(cloth) },
  });
async function laidBatch(line = lineForm(cloth, { typed: { width: '20', height: '20' } }), seconds = A_MOMENT) {
  const order = value(await saveOrder(orderForm([line]), null)).id;
  const lineIds = (await getOrder(order))!.form.lines.map(({ id }) => id!);
  const { id } = value(await createBatch({ name: 'Test batch', lineIds }));
  await layAtOnce(db, id, seconds);
  return { id, order, version: (await getBatch(id))!.batch.version };
}
const versionOf = async (id: number) => (await getBatch(id))!.batch.version;
const layOf = async (batch: number) => (await db.select().from(schema.lays).where(eq(schema.lays.batchId, batch)))[0]!;
const cutForm = async (batchId: number, rest: Partial<CutForm> = {}): Promise<CutForm> => ({
  batchId,
  clothId: cloth,
  version: await versionOf(batchId),
  from: [],
  events: [],
  remnants: [],
  ...rest,
});
describe('receiving', () => {
  test('a bolt is on the shelf with its lot, size, flaws and price, and has a code for its label', async () => {
    const id = await bolt({ flaws: [{ along: '40', across: '10', length: '2', width: '3' }], motifAcross: '4 1/2' });
    const one = await item(id);
    expect(one).toMatchObject({
      code: `B${id}`,
      name: 'Plain drill',
      lot: '3',
      onHand: 20 * NM.yd,
      available: 20 * NM.yd,
      state: 'whole',
      place: 'rack 2',
      worthMinor: 20_000,
      currency: 'GBP',
      motifNm: [inches(4.5), 0],
    });
    expect(one.flaws).toEqual([[inches(10), inches(40), inches(13), inches(42)]]);
    expect(one.movements.map(({ sort, quantity, after }) => [sort, quantity, after])).toEqual([
      ['received', 20 * NM.yd, 20 * NM.yd],
    ]);
    expect(await shelfWorth()).toEqual([{ currency: 'GBP', items: 1, worthMinor: 20_000 }]);
  });

  test.each([
    ['no length', { length: '' }, 'length'],
    ['a length that is none', { length: 'long' }, 'length'],
    ['selvages without cloth between', { selvageLeft: '27', selvageRight: '27' }, 'selvageLeft'],
    ['a flaw beyond the end', { flaws: [{ along: '719', across: '0', length: '2', width: '2' }] }, 'flaws.0.along'],
    ['a price that is none', { price: 'dear' }, 'price'],
    ['cloth that is not in the catalogue', { what: 'cloth 99' }, 'what'],
  ])('%s is refused at its field, and nothing is on the shelf', async (_, rest, field) => {
    expect(faultsOf(await receive(receipt(cloth, rest))).map((fault) => fault.field)).toContain(field);
    expect((await listShelf({})).rows).toEqual([]);
  });

  test('a hide of odd shape is a remnant with its outline, and a lay is laid within it before a bolt is opened', async () => {
    const outline = ['0, 0', '40, 0', '40, 26', '24, 40', '0, 40'].join('\n');
    const id = await bolt({ outline, length: '', width: '', selvageLeft: '', selvageRight: '' });
    expect(await item(id)).toMatchObject({ sort: 'remnant', widthNm: inches(40), onHand: inches(40) });
    expect((await item(id)).outline).toHaveLength(5);
    await bolt();
    const { id: batch } = await laidBatch(
      lineForm(cloth, {
        ...emptyLine(kindById('zip-cushion')!),
        qty: '1',
        typed: { width: '18', height: '18' },
        cloth: { face: String(cloth) },
      }),
    );
    const { plan, stock } = await layOf(batch);
    expect(stock.uses.map(({ code }) => code)).toEqual([(await item(id)).code]);
    // Nothing lies in the corner that the hide lacks: beyond the line from (40, 26) to (24, 40).
    const { lays } = plan as { lays: { placed: { x: number; y: number }[] }[] };
    for (const { x, y } of lays.flatMap(({ placed }) => placed))
      expect((x + 18) * 14 + (y + 18) * 16).toBeLessThanOrEqual(40 * 14 + 26 * 16 + 0.01);
  });

  test.each([
    ['crosses itself', '0, 0\n40, 40\n40, 0\n0, 40', 'The outline crosses or touches itself.'],
    ['is no outline', '0, 0\nten', '“ten” is not a corner; write it like 12 1/2, 3.'],
  ])('an odd shape that %s is refused at its field', async (_, outline, message) => {
    expect(faultsOf(await receive(receipt(cloth, { outline })))).toContainEqual(
      expect.objectContaining({ field: 'outline', message }),
    );
  });

  test('is found by code, lot, place, supplier and name, and a cloth on the shelf is not deleted', async () => {
    const id = await bolt({ lot: 'F7', place: 'top shelf' });
    for (const search of [`b${id}`, 'f7', 'TOP', 'loom lane', 'plain', 'plain f7'])
      expect((await listShelf({ search })).rows.map((row) => row.id)).toEqual([id]);
    for (const search of ['moquette', '%', 'f7 moquette']) expect((await listShelf({ search })).rows).toEqual([]);
    expect((await listShelf({ only: 'remnant' })).rows).toEqual([]);
    expect(faultsOf(await deleteCloth(cloth))[0]!.message).toMatch(/shelf/);
  });
});

describe('the ledger', () => {
  test('counting books the difference with its reason, letting go the rest; both can be reversed, once', async () => {
    const id = await bolt({ length: '10 yd' });
    expect(faultsOf(await countItem(id, '9 yd', ''))[0]!.field).toBe('reason');
    expect(value(await countItem(id, '9 yd', 'shelf count'))).toEqual({ difference: -NM.yd });
    value(await moveItem(id, 'rack 4'));
    value(await letGo(id, 'faded'));
    const gone = await item(id);
    expect(gone).toMatchObject({ onHand: 0, state: 'ended', place: 'rack 4' });
    expect(gone.flow).toMatchObject({ received: 10 * NM.yd, counted: -NM.yd, wasted: 9 * NM.yd, left: 0 });
    const wasted = gone.movements.find(({ sort }) => sort === 'wasted')!;
    value(await reverseMovement(wasted.id, 'it was the other bolt'));
    expect(faultsOf(await reverseMovement(wasted.id, 'again'))[0]!.code).toBe('reversed');
    expect(await item(id)).toMatchObject({ onHand: 9 * NM.yd, state: 'opened' });
    await conserves(db);
  });

  test('a movement is never changed nor deleted, and no balance is negative: the database refuses', async () => {
    const id = await bolt();
    const refused = (query: Promise<unknown>) =>
      query.then(
        () => 'kept',
        (error: { cause: { code: string } }) => error.cause.code,
      );
    expect(await refused(db.update(schema.movements).set({ quantity: 1 }).where(eq(schema.movements.itemId, id)))).toBe(
      '23001',
    );
    expect(await refused(db.delete(schema.movements))).toBe('23001');
    expect(await refused(db.insert(schema.movements).values({ itemId: id, sort: 'cut', quantity: 21 * NM.yd }))).toBe(
      '23514',
    );
    expect(
      await refused(db.insert(schema.movements).values({ itemId: id, sort: 'reserved', quantity: 21 * NM.yd })),
    ).toBe('23514');
    expect(await refused(db.insert(schema.movements).values({ itemId: id, sort: 'wasted', quantity: 5 }))).toBe(
      '23514',
    );
    expect(await refused(db.insert(schema.movements).values({ itemId: id, sort: 'cut', quantity: -5 }))).toBe('23514');
    await conserves(db);
  });

  test('fifty at once on one bolt of fifty yards, each takes two: twenty-five get theirs, nobody meets a deadlock', async () => {
    const id = await bolt({ length: '50 yd' });
    const other = await bolt({ length: '50 yd' });
    const take = (from: number) =>
      db.transaction(async (tx) => {
        await tx.insert(schema.movements).values({ itemId: from, sort: 'cut', quantity: 2 * NM.yd });
      });
    const all = Array.from({ length: 50 }, (_, i) => i);
    const [taken, others] = await Promise.all([
      Promise.allSettled(all.map(() => take(id))),
      Promise.all(all.map((i) => (i % 2 ? countItem(other, `${i} yd`, 'count') : letGo(other, 'x')))),
    ]);
    expect(others.flatMap(faultsOf).every(({ code }) => code === 'ended')).toBe(true);
    const codes = taken.flatMap((one) =>
      one.status === 'rejected' ? [(one.reason as { cause: { code: string } }).cause.code] : [],
    );
    expect(codes).toEqual(Array<string>(25).fill('23514'));
    expect((await item(id)).onHand).toBe(0);
    await conserves(db);
  });

  test('random histories of receiving, counting, letting go and countering conserve', async () => {
    const act = fc.record({
      what: fc.constantFrom('count', 'let go', 'counter', 'move'),
      size: fc.integer({ min: 0, max: 30 }),
      which: fc.nat(9),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 1, maxLength: 12 }), async (acts) => {
        const id = await bolt({ length: '12 yd' });
        for (const { what, size, which } of acts) {
          if (what === 'count') await countItem(id, `${size} yd`, 'count');
          else if (what === 'let go') await letGo(id, 'old');
          else if (what === 'move') await moveItem(id, `rack ${size}`);
          else {
            const { movements } = await item(id);
            await reverseMovement(movements[which % movements.length]!.id, 'by mistake');
          }
        }
        const { flow, onHand } = await item(id);
        expect(flow.received + flow.counted).toBe(onHand + flow.cut + flow.used + flow.kept + flow.wasted);
        await conserves(db);
      }),
      { numRuns: tries(12) },
    );
  });

  test('a count of the shelf books all or nothing, and is refused for what has changed since', async () => {
    const [a, b] = [await bolt({ length: '10 yd' }), await bolt({ length: '8 yd', place: 'rack 3' })];
    const { rows, places } = await countList('');
    expect(rows.map(({ id }) => id)).toEqual([a, b]);
    expect(places).toEqual(['rack 2', 'rack 3']);
    const seen = rows.map(({ id, onHand }) => ({ id, seen: onHand, amount: id === a ? '9 3/4 yd' : '8 yd' }));
    value(await countItem(b, '7 yd', 'somebody else'));
    expect(faultsOf(await bookCount(seen, 'spring count'))[0]).toMatchObject({ field: `rows.${b}`, code: 'stale' });
    expect((await item(a)).onHand).toBe(10 * NM.yd);
    expect(
      value(await bookCount([{ ...seen[0]! }, { id: b, amount: '7 yd', seen: 7 * NM.yd }], 'spring count')),
    ).toEqual({ items: 1 });
    expect((await item(a)).onHand).toBe(9.75 * NM.yd);
    await conserves(db);
  });
});

describe('a lay on the shelf', () => {
  test('takes the opened bolt, reserves it when approved, and consumes it when cut; what is worth keeping is kept', async () => {
    const id = await bolt();
    const { id: batch, version } = await laidBatch();
    const lay = await layOf(batch);
    expect(lay.stock.uses).toMatchObject([{ code: `B${id}`, itemId: id, used: lay.usedNm, short: 0 }]);
    // At what was paid for it, £10 a yard, not at the £12 of today, and not in the shop's steps.
    expect(lay.costMinor).toBe(Math.floor((lay.usedNm * 1000) / NM.yd + 0.5));
    expect(lay.boughtNm).toBe(lay.usedNm);
    value(await approveBatch(batch, version));
    expect(await item(id)).toMatchObject({ onHand: 20 * NM.yd, reserved: lay.usedNm });
    value(await markCut(batch));
    const after = await item(id);
    expect(after).toMatchObject({ onHand: 20 * NM.yd - lay.usedNm, reserved: 0, state: 'opened' });
    const { split, usedNm } = (await layOf(batch)).outcome!.items[0]!;
    expect(SPLIT_PARTS.reduce((sum, name) => sum + split[name], 0)).toBe(usedNm);
    expect(usedNm).toBe(lay.usedNm);
    expect(after.flow).toMatchObject({ cut: split.pieces, kept: split.remnant });
    for (const remnant of after.remnants) expect((await item(remnant.id)).from).toEqual({ id, code: `B${id}` });
    expect((await getBatch(batch))!.batch.status).toBe('cut');
    await conserves(db);
  });

  test('the next lay takes the remnant first', async () => {
    const id = await bolt();
    const first = await laidBatch(large());
    value(await approveBatch(first.id, first.version));
    value(await markCut(first.id));
    const [remnant] = (await item(id)).remnants;
    expect(remnant).toBeDefined();
    const next = await laidBatch();
    const { stock } = await layOf(next.id);
    expect(stock.why).toMatch(`R${remnant!.id} first`);
    await conserves(db);
  });

  test('two lays on the last of a bolt: one approval wins, the other hears what is left; nothing is reserved twice', async () => {
    for (let i = 0; i < 3; i++) {
      await db.execute(sql`TRUNCATE stock_items, movements CASCADE`);
      const id = await bolt({ length: '70' });
      const [one, two] = [await laidBatch(), await laidBatch()];
      const answers = await Promise.all([approveBatch(one.id, one.version), approveBatch(two.id, two.version)]);
      expect(answers.map(({ ok }) => ok).sort()).toEqual([false, true]);
      const refused = answers.find(({ ok }) => !ok)!;
      expect(faultsOf(refused)[0]).toMatchObject({ code: 'stock-short' });
      expect(faultsOf(refused)[0]!.message).toMatch(
        /^B\d+ has only .* in free by now, and these lays take .* in of it/,
      );
      expect((await item(id)).reserved).toBeGreaterThan(0);
      await conserves(db);
    }
  });

  test('where the shelf does not reach, the lay says what it lacks, and that is bought in the shop’s steps', async () => {
    const id = await bolt({ length: '30' });
    const { id: batch } = await laidBatch();
    const lay = await layOf(batch);
    expect(lay.shortNm).toBeGreaterThan(0);
    const [onBolt, toBuy] = lay.stock.uses;
    expect(onBolt).toMatchObject({ itemId: id, short: 0 });
    expect(toBuy).toMatchObject({ code: 'to buy', itemId: null, used: 0, short: lay.shortNm });
    const steps = Math.ceil(lay.shortNm / inches(9));
    expect(toBuy!.costMinor).toBe(steps * 300);
  });

  test('an approval that is taken back frees what it held, and can be given again', async () => {
    const id = await bolt();
    const { id: batch, version } = await laidBatch();
    value(await approveBatch(batch, version));
    value(await withdrawApproval(batch));
    expect(await item(id)).toMatchObject({ reserved: 0, onHand: 20 * NM.yd });
    expect((await getBatch(batch))!.batch.status).toBe('laid');
    value(await makeLays(batch, 1));
    await db.update(schema.batches).set({ status: 'laid' }).where(eq(schema.batches.id, batch));
    value(await approveBatch(batch, await versionOf(batch)));
    const approvals = await db.select().from(schema.approvals).orderBy(schema.approvals.no);
    expect(approvals.map(({ no, withdrawnAt }) => [no, withdrawnAt === null])).toEqual([
      [1, false],
      [2, true],
    ]);
    expect((await getBatch(batch))!.approvals).toMatchObject([
      { no: 1, withdrawnAt: expect.any(String) as string },
      { no: 2, withdrawnAt: null },
    ]);
    expect(faultsOf(await withdrawApproval(batch + 50))[0]!.code).toBe('gone');
    await conserves(db);
  });

  test('what is left out is not laid on, and what is pinned is', async () => {
    const [a, b] = [await bolt({ lot: '3' }), await bolt({ lot: '4' })];
    const { id: batch } = await laidBatch();
    const choice = { batchId: batch, clothId: cloth, isLotMixed: false };
    const codes = async () => (await layOf(batch)).stock.uses.map(({ itemId }) => itemId);
    value(await chooseStock({ ...choice, pinned: [], leftOut: [a] }));
    await layAtOnce(db, batch, A_MOMENT);
    expect(await codes()).toEqual([b]);
    value(await chooseStock({ ...choice, pinned: [a], leftOut: [] }));
    await layAtOnce(db, batch, A_MOMENT);
    expect(await codes()).toEqual([a]);
    // Planned again: what it was before stands beside it.
    const [lay] = (await getBatch(batch))!.lays;
    expect(lay!.before).toEqual({ usedNm: lay!.usedNm, costMinor: lay!.costMinor });
  });

  test('a lay that is closed with differences: a crooked end and a recut take more, and show on the order', async () => {
    const id = await bolt();
    const { id: batch, version, order } = await laidBatch();
    value(await approveBatch(batch, version));
    const [lay] = await loadCut(db, batch, cloth);
    const part = lay!.marker.parts[0]!;
    const event = { code: `B${id}`, why: 'slipped', part: '' };
    const events = [
      { ...event, sort: 'end crooked' as const, length: '2 1/2' },
      { ...event, sort: 'recut' as const, length: '', part: part.id },
    ];
    expect(faultsOf(await closeLay(await cutForm(batch, { events })))[0]!.field).toBe('events.1.length');
    events[1]!.length = '21';
    const isCut = value(await closeLay(await cutForm(batch, { events })));
    expect(isCut).toEqual({ isBatchCut: true });
    const used = lay!.row.usedNm;
    expect(await item(id)).toMatchObject({ onHand: 20 * NM.yd - used - inches(23.5), reserved: 0 });
    const noted = await db.select().from(schema.layEvents).orderBy(schema.layEvents.id);
    expect(noted.map(({ sort, lengthNm, orderId, part: name }) => [sort, lengthNm, orderId, name])).toEqual([
      ['end crooked', inches(2.5), null, ''],
      ['recut', inches(21), order, part.name],
    ]);
    expect((await layOf(batch)).outcome).toMatchObject({ isAsPlanned: false });
    // Found faulty while it is sewn: cut again from the same bolt.
    value(
      await recutPiece({
        batchId: batch,
        clothId: cloth,
        part: part.id,
        itemId: id,
        length: '21',
        why: 'a flaw in the seam',
      }),
    );
    expect(await item(id)).toMatchObject({ onHand: 20 * NM.yd - used - inches(44.5) });
    await conserves(db);
  });

  test('remnants are confirmed or changed: a smaller one, one more, none larger than the cloth that was used', async () => {
    const id = await bolt();
    const { id: batch, version } = await laidBatch(large());
    value(await approveBatch(batch, version));
    const [lay] = await loadCut(db, batch, cloth);
    const code = `B${id}`;
    const proposal = lay!.remnants[0]!;
    const as = { code, isKept: true, place: 'drawer 2' };
    const wide = { ...as, proposed: null, across: '60', along: '10' };
    expect(faultsOf(await closeLay(await cutForm(batch, { remnants: [wide] })))[0]).toMatchObject({
      field: 'remnants.0.across',
    });
    const remnants = [
      { ...as, proposed: 0, across: '14', along: '12 1/2' },
      { ...as, proposed: null, across: '8', along: '10', isKept: false },
    ];
    value(await closeLay(await cutForm(batch, { remnants })));
    const [kept, ...none] = (await item(id)).remnants;
    expect(none).toEqual([]);
    const stored = await item(kept!.id);
    expect(stored).toMatchObject({
      widthNm: inches(14),
      onHand: inches(12.5),
      place: 'drawer 2',
      lot: '3',
      outline: null,
      currency: 'GBP',
    });
    // It is worth its part of the area: £10 a yard for 14 x 12 1/2 of 54 wide, so 14 x 12 1/2 / 54 in of length.
    expect(stored).toMatchObject({ pricePer: 'whole', priceMinor: Math.floor((((1000 * 14) / 54) * 12.5) / 36) });
    expect(proposal.area).toBeGreaterThan(inches(14) * inches(12.5));
    await conserves(db);
  });

  test('cloth that is not kept on the shelf is cut as before, and books nothing', async () => {
    const { id: batch, version } = await laidBatch();
    value(await approveBatch(batch, version));
    value(await markCut(batch));
    expect(await db.select().from(schema.movements)).toEqual([]);
    expect((await layOf(batch)).outcome!.items).toHaveLength(1);
  });

  test('foam is laid on sheets with straight cuts, bought whole, and taken off the shelf sheet by sheet', async () => {
    const board = {
      ...EMPTY_CLOTH,
      name: 'Ply 1/4 in',
      sort: 'board' as const,
      isUsual: true,
      width: '48',
      selvageLeft: '',
      selvageRight: '',
      sheetLength: '96',
      price: '30',
      pricePer: 'sheet' as const,
      turns: 'any' as const,
    };
    const ply = value(await saveCloth(board, null)).id;
    expect(faultsOf(await saveCloth({ ...board, name: 'x', pricePer: 'yd' }, null))[0]!.field).toBe('pricePer');
    const sheets = value(
      await receive({
        ...receipt(ply),
        length: '96',
        width: '48',
        selvageLeft: '',
        selvageRight: '',
        count: '5',
        price: '28',
      }),
    ).id;
    const kind = kindById('platform-notched')!;
    const line = lineForm(cloth, {
      ...emptyLine(kind),
      qty: '5',
      typed: { length: '40', width: '40', thickness: '3' },
      cloth: { face: String(cloth) },
    });
    const { id: batch, version } = await laidBatch({
      ...line,
      typed: Object.fromEntries(kind.measures.map(({ id }, i) => [id, i < 2 ? '40' : '3'])),
    });
    const lay = (await db.select().from(schema.lays).where(eq(schema.lays.clothId, ply)))[0]!;
    // Boards of about 40 x 40 on sheets of 48 x 96: two a sheet, three sheets at £30.
    expect(lay.stock.uses).toHaveLength(3);
    expect(lay.costMinor).toBe(9_000);
    expect((lay.job as { cut?: string }).cut).toBe('straight');
    value(await approveBatch(batch, version));
    // Approved, three of the five are spoken for; taken back, they are free again.
    expect(await item(sheets)).toMatchObject({ onHand: 5, reserved: 3 });
    value(await withdrawApproval(batch));
    expect(await item(sheets)).toMatchObject({ onHand: 5, reserved: 0 });
    value(await approveBatch(batch, await versionOf(batch)));
    value(await markCut(batch));
    expect(await item(sheets)).toMatchObject({ onHand: 2, reserved: 0, isLength: false });
    await conserves(db);
  });

  test('a washed cloth is taken longer than it lies: the lay’s length / (1 - shrinkage)', async () => {
    await db.update(schema.cloths).set({ isWashed: true, shrinkAlongPart: 0.04, shrinkAcrossPart: 0.02 });
    const id = await bolt();
    const { id: batch } = await laidBatch();
    const lay = await layOf(batch);
    expect(lay.stock.uses[0]).toMatchObject({ itemId: id, used: Math.ceil(lay.usedNm / 0.96) });
    const job = lay.job as { stock: { width: number }[]; cloth: { width: number } };
    expect(job.cloth.width).toBeCloseTo(54 * 0.98, 6);
  });
});

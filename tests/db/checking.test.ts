import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { beforeEach, describe, expect, test } from 'vitest';
import { NM } from '@/core/length';
import { schema } from '@/db';
import { approveBatch, createBatch } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { chooseRecut, recutIsCut } from '@/features/checking/actions';
import { takeCheckEntries } from '@/features/checking/commands';
import { keepFindingPhoto, readFindingPhoto } from '@/features/checking/photos';
import { findOffers, getCheck, getChecking } from '@/features/checking/queries';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { runCommand } from '@/features/commands/command';
import { markCut } from '@/features/cutting/actions';
import { getCutting } from '@/features/cutting/queries';
import { stepCovers, takeMoveBack } from '@/features/room/actions';
import { orderWay } from '@/features/room/queries';
import { beginRun, endRun } from '@/features/sewing/actions';
import { receive } from '@/features/stock/actions';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm } from '../support/forms';
import { linesOf, savedOrder } from '../support/orders';
import { receipt } from '../support/stock';
import { A_MOMENT, db, faultsOf, inWorkroom, value } from '../support/workroom';

// Checks and findings as the database keeps them, from the tape to the piece that is cut again.

let cloth: number;
let order: number;
let line: number;
let batch: number;
let ids: number[];

inWorkroom();
beforeEach(async () => {
  const repeat = { repeatAcross: '6', repeatAlong: '5' };
  cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Sprig', price: '12', turns: 'half', ...repeat }, null)).id;
  value(await receive(receipt(cloth)));
  order = await savedOrder([lineForm(cloth, { qty: '3', typed: { width: '16', height: '16' }, matching: 'alike' })]);
  [line] = (await linesOf(order)) as [number];
  batch = value(await createBatch({ name: 'Test batch', lineIds: [line] })).id;
  await layAtOnce(db, batch, A_MOMENT);
  value(await approveBatch(batch, (await getBatch(batch))!.batch.version));
  value(await markCut(batch));
  ids = (await db.select().from(schema.covers).orderBy(schema.covers.id)).map(({ id }) => id);
  for (const event of ['begin', 'finish'] as const) value(await stepCovers(ids, event, ''));
});

const at = '2026-12-02T10:00:00.000Z';
const entry = (rest: object, id: string = randomUUID()) => ({ entry: id, step: 0, at, cover: ids[0]!, ...rest });
const send = async (entries: object[]) =>
  value(await runCommand(takeCheckEntries, { lineId: line, entries }, randomUUID()));
const find = (rest: object = {}, id?: string) =>
  entry(
    {
      do: 'find',
      look: 0,
      what: 'a slub',
      spot: [0.5, 0.25],
      cause: 'cloth',
      decision: 'resew',
      minutesLost: 9,
      ...rest,
    },
    id,
  );
const looks = async () => (await getCheck(line))!.looks;
const allRight = async () =>
  (await looks()).map(({ n, size }) => entry({ do: 'look', step: n, measuredNm: size ?? null, isRight: true }));
const stateOf = async (id = ids[0]!) => (await db.select().from(schema.covers).where(eq(schema.covers.id, id)))[0]!;

describe('a check', () => {
  test('lists what waits, and passes a cover once all of its looks are right', async () => {
    expect(await getChecking()).toMatchObject([{ lineId: line, toCheck: 3, toMend: 0, qty: 3 }]);
    const early = await send([entry({ do: 'pass' })]);
    expect(early.conflicts[0]!.message).toMatch(/^Cover 1: Not looked at yet: /);
    expect((await send([...(await allRight()), entry({ do: 'pass' })])).conflicts).toEqual([]);
    expect((await stateOf()).state).toBe('checked');
    expect((await looks()).at(-1)!.what, 'three covers of a matched cloth are a set').toMatch(/same piece/);
  });

  test('takes an entry once, however often it is sent, and keeps the later answer of a look', async () => {
    const one = entry({ do: 'look', step: 1, measuredNm: 10 * NM.in, isRight: false });
    await send([one]);
    await send([one, entry({ do: 'look', step: 1, measuredNm: 16 * NM.in, isRight: true })]);
    expect((await getCheck(line))!.state.covers[0]!.answers).toEqual([{ n: 1, measuredNm: 16 * NM.in, isRight: true }]);
    const noted = find({ decision: 'ease' });
    await send([noted, noted]);
    await send([noted]);
    expect(await db.select().from(schema.findings)).toHaveLength(1);
  });

  test('refuses a finding without words, and a cover of another line', async () => {
    expect(faultsOf(await runCommand(takeCheckEntries, { lineId: line, entries: [find({ what: ' ' })] }))).not.toEqual(
      [],
    );
    const { conflicts } = await send([{ ...find(), cover: 999_999 }]);
    expect(conflicts[0]!.message).toBe('That cover is not of this line.');
  });
});

describe('a finding', () => {
  test('accepted is closed at once; eased it is open until it is right', async () => {
    await send([find({ decision: 'accept' }), ...(await allRight())]);
    const [id] = [randomUUID()];
    const { conflicts } = await send([find({ decision: 'ease' }, id), entry({ do: 'pass' })]);
    expect(conflicts[0]!.message).toContain('still open');
    expect((await send([entry({ do: 'close', finding: id }), entry({ do: 'pass' })])).conflicts).toEqual([]);
    expect((await stateOf()).state).toBe('checked');
  });

  test('to sew again sends the cover back; nothing of it is passed or packed before it is right', async () => {
    const id = randomUUID();
    await send([...(await allRight()), find({}, id)]);
    expect((await stateOf()).state).toBe('to mend');
    expect((await send([entry({ do: 'close', finding: id })])).conflicts[0]!.message).toContain('to mend');
    value(await stepCovers([ids[0]!], 'mended', ''));
    expect(faultsOf(await stepCovers([ids[0]!], 'pass', ''))[0]!.message).toContain('still open');
    const early = await send([entry({ do: 'close', finding: id }), entry({ do: 'pass' })]);
    expect(early.conflicts[0]!.message, 'what was looked at before is looked at anew').toContain('Not looked at yet');
    await send([...(await allRight()), entry({ do: 'pass' })]);
    value(await stepCovers([ids[0]!], 'pack', ''));
    const way = (await orderWay(order))!;
    expect(way.findings).toMatchObject([{ what: 'a slub', decision: 'resew', minutesLost: 9, closed: 'right now' }]);
  });

  test('noted by hand in the room is one as well, and taken back with its move', async () => {
    value(await stepCovers([ids[0]!], 'find', 'a thread hangs'));
    expect((await getCheck(line))!.state.covers[0]!.findings).toMatchObject([{ what: 'a thread hangs', closed: null }]);
    value(await takeMoveBack([ids[0]!]));
    expect((await stateOf()).state).toBe('to check');
    expect((await getCheck(line))!.state.covers[0]!.findings).toMatchObject([{ closed: 'taken back' }]);
  });

  test('a run that is given up leaves what has to be mended to mend', async () => {
    await send([find()]);
    const run = value(await beginRun([ids[0]!])).id;
    value(await endRun(run));
    expect((await stateOf()).state).toBe('to mend');
  });

  test('keeps up to three photographs, drawn anew without what they carried', async () => {
    const id = randomUUID();
    await send([find({}, id)]);
    const large = await sharp({ create: { width: 3000, height: 1500, channels: 3, background: '#b44' } })
      .withExif({ IFD0: { Copyright: 'somebody' } })
      .jpeg()
      .toBuffer();
    const read = await readFindingPhoto(new Uint8Array(large));
    if (!read.ok) throw new Error('not read');
    const { width, height, exif, format } = await sharp(Buffer.from(read.value, 'base64')).metadata();
    expect([width, height, exif, format]).toEqual([2000, 1000, undefined, 'jpeg']);
    for (let i = 0; i < 3; i++) value(await keepFindingPhoto(id, read.value));
    expect(faultsOf(await keepFindingPhoto(id, read.value))[0]!.message).toContain('at most 3');
    expect((await readFindingPhoto(new Uint8Array([1, 2, 3]))).ok).toBe(false);
    expect((await readFindingPhoto(new Uint8Array(20_000_001))).ok).toBe(false);
  });
});

describe('a piece that is cut again', () => {
  async function found() {
    const id = randomUUID();
    await send([find({ decision: 'recut' }, id)]);
    const [part] = (await getCheck(line))!.parts;
    const offers = await findOffers(line, cloth, part!.part);
    return { id, part: part!, offers };
  }

  test('is offered where it fits, the same lot first, and shows on order, ledger and lay; the cover waits for it', async () => {
    value(await receive(receipt(cloth, { lot: 'another' })));
    const { id, part, offers } = await found();
    expect((await stateOf()).hold).toBe('recut');
    expect(offers.map(({ sort, isOtherLot }) => [sort, isOtherLot])[0]).toEqual(['bolt', false]);
    expect(offers.at(-1)!.isOtherLot).toBe(true);
    const [first] = offers;
    const before = (await db.select().from(schema.stockItems).where(eq(schema.stockItems.id, first!.itemId!)))[0]!;
    const { id: recut } = value(
      await chooseRecut({ findingId: id, clothId: cloth, part: part.part, offer: first!.key }),
    );
    const after = (await db.select().from(schema.stockItems).where(eq(schema.stockItems.id, first!.itemId!)))[0]!;
    expect(before.onHand - after.onHand, 'the ledger gives what it takes').toBe(first!.lengthNm);
    const [moved] = await db.select().from(schema.movements).where(eq(schema.movements.cause, 'recut'));
    expect(moved).toMatchObject({ quantity: first!.lengthNm, orderId: order });
    expect((await getCutting(batch, cloth))!.events).toMatchObject([{ sort: 'recut', lengthNm: first!.lengthNm }]);
    expect(
      faultsOf(await chooseRecut({ findingId: id, clothId: cloth, part: part.part, offer: first!.key })),
    ).not.toEqual([]);
    expect((await send([entry({ do: 'close', finding: id })])).conflicts[0]!.message).toContain('held');
    expect(value(await recutIsCut(recut, null))).toEqual({ isReleased: true });
    expect((await stateOf()).hold).toBeNull();
    expect((await orderWay(order))!.findings[0]!.recuts).toContain('cut again');
  });

  test('waits for another batch of its cloth where that is chosen, and is booked when it is cut', async () => {
    const other = await savedOrder([lineForm(cloth, { qty: '1', typed: { width: '12', height: '12' } })]);
    const open = value(await createBatch({ name: 'Next batch', lineIds: await linesOf(other) })).id;
    await layAtOnce(db, open, A_MOMENT);
    const { id, part, offers } = await found();
    const wait = offers.find(({ sort }) => sort === 'batch')!;
    expect(wait.from).toBe('Next batch');
    const { id: recut } = value(await chooseRecut({ findingId: id, clothId: cloth, part: part.part, offer: wait.key }));
    expect((await db.select().from(schema.movements).where(eq(schema.movements.cause, 'recut'))).length).toBe(0);
    const [bolt] = await db.select().from(schema.stockItems).where(eq(schema.stockItems.clothId, cloth));
    value(await recutIsCut(recut, bolt!.id));
    expect((await db.select().from(schema.movements).where(eq(schema.movements.cause, 'recut'))).length).toBe(1);
    expect((await stateOf()).hold).toBeNull();
  });
});

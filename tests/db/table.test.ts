import { and, eq } from 'drizzle-orm';
import sharp from 'sharp';
import { beforeEach, describe, expect, test } from 'vitest';
import { findFaults, jobToJson, nest, planToJson } from '@/core/lay';
import { inches } from '@/core/length';
import { HandLay, readMarker } from '@/core/marker';
import { schema } from '@/db';
import { toCloth, type ClothRow } from '@/db/rows';
import { approveBatch, createBatch } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { clothTile, keepClothPhoto, readClothPhoto } from '@/features/cloth/photo';
import { saveOrder } from '@/features/orders/actions';
import { getOrder } from '@/features/orders/queries';
import { receive } from '@/features/stock/actions';
import { keepWays, saveLayByHand, takeWay } from '@/features/table/actions';
import { getFinishedText, type Finished } from '@/features/table/finished';
import { getLay, getTableText } from '@/features/table/queries';
import { openTable } from '@/features/table/table-document';
import { visitTable } from '@/features/table/visits';
import { readMarkerJob } from '@/features/table/way-job';
import { getWaysText, jobsOfWays } from '@/features/table/ways';
import type { WaysDocument } from '@/features/table/ways-document';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm, orderForm } from '../support/forms';
import { blackPng } from '../support/pictures';
import { receipt } from '../support/stock';
import { A_MOMENT, faultsOf, value, db, inWorkroom } from '../support/workroom';

// Hands on the table, as the database sees it: nothing that could not be cut is kept, and nobody's work is lost.

let cloth: number;

inWorkroom();
beforeEach(async () => {
  cloth = value(await saveCloth({ ...EMPTY_CLOTH, name: 'Plain drill', price: '12', turns: 'half' }, null)).id;
});

async function laidBatch(lines = [lineForm(cloth, { typed: { width: '20', height: '20' } })]) {
  const order = value(await saveOrder(orderForm(lines), null)).id;
  const lineIds = (await getOrder(order))!.form.lines.map(({ id }) => id!);
  const { id } = value(await createBatch({ name: 'Test batch', lineIds }));
  await layAtOnce(db, id, A_MOMENT);
  return id;
}
const tableOf = async (batch: number) => openTable((await getTableText(batch, cloth))!);
const handsOf = async (batch: number) => {
  const { marker } = await tableOf(batch);
  return { lay: HandLay.locked(marker.job, marker.plan), version: marker.version, cloth: marker.cloth };
};
const sent = (batch: number, { lay, version, cloth: of }: Awaited<ReturnType<typeof handsOf>>) => ({
  batchId: batch,
  clothId: cloth,
  version,
  plan: planToJson(lay.plan, lay.job.units) as object,
  placed: ((jobToJson(lay.lockedJob(), of) as { placed?: object[] }).placed ?? []) as object[],
});
const rowOf = async (batch: number) =>
  (
    await db
      .select()
      .from(schema.lays)
      .where(and(eq(schema.lays.batchId, batch), eq(schema.lays.clothId, cloth)))
  )[0]!;

describe('a lay that was changed by hand', () => {
  test('is kept as the next version with its length, cost, shares and locks; the one before stays readable', async () => {
    value(await receive(receipt(cloth)));
    const batch = await laidBatch();
    const before = await rowOf(batch);
    const hands = await handsOf(batch);
    const [first] = hands.lay.items;
    const far = { stock: first!.stock, x: first!.x, y: hands.lay.plan.used + inches(6), turn: 0 };
    const lay = hands.lay.moved(first!.key, far).lay.withLock(first!.key, true);
    expect(value(await saveLayByHand(sent(batch, { ...hands, lay }))).version).toBe(2);
    const after = await rowOf(batch);
    expect(after).toMatchObject({
      id: before.id,
      version: 2,
      usedNm: lay.plan.used,
      how: 'by hand',
      boundNm: before.boundNm,
    });
    expect(after.costMinor).toBeGreaterThan(before.costMinor);
    const shares = await db.select().from(schema.layShares).where(eq(schema.layShares.layId, after.id));
    expect(shares.reduce((sum, { shareByLengthMinor }) => sum + shareByLengthMinor, 0)).toBe(after.costMinor);
    const again = await handsOf(batch);
    expect([...again.lay.locked]).toEqual([first!.key]);
    expect(again.lay.item(first!.key)).toMatchObject(far);
    const [old] = await db.select().from(schema.layVersions).where(eq(schema.layVersions.version, 1));
    const read = readMarker(old!, toCloth(old!.cloth as ClothRow));
    expect(read.ok && read.value.plan.used).toBe(before.usedNm);
    expect((await getLay(batch, cloth))!.how).toBe('by hand');
  });

  test('that could not be cut so is refused with what is wrong, and nothing changes', async () => {
    const batch = await laidBatch();
    const hands = await handsOf(batch);
    const [a, b] = hands.lay.items;
    const over = hands.lay.moved(a!.key, { ...b!, turn: a!.turn }).lay;
    expect(faultsOf(await saveLayByHand(sent(batch, { ...hands, lay: over })))[0]!.message).toMatch(
      /can’t be cut as it lies: .* overlap/,
    );
    const less = sent(batch, { ...hands, lay: hands.lay.takenOff(a!.key) });
    // Unplaced pieces must be named: a plan that simply forgets one is none.
    expect(faultsOf(await saveLayByHand({ ...less, plan: { ...less.plan, unplaced: [] } }))[0]!.message).toMatch(
      /0 times/,
    );
    expect(faultsOf(await saveLayByHand({ ...less, plan: { format: 'jolly-bolt/lay-plan' } }))).not.toEqual([]);
    expect(faultsOf(await saveLayByHand({ ...less, placed: [{ piece: 'ghost', x: 0, y: 0 }] }))[0]!.message).toMatch(
      /piece/,
    );
    expect(await rowOf(batch)).toMatchObject({ version: 1, how: '' });
    // One that says what it leaves out is kept, and can then not be approved.
    value(await saveLayByHand(less));
    const { version } = (await getBatch(batch))!.batch;
    expect(faultsOf(await approveBatch(batch, version))[0]!.code).toBe('unplaced');
  });

  test('by two at once is kept once; the second is shown', async () => {
    const batch = await laidBatch();
    const hands = await handsOf(batch);
    const [first] = hands.lay.items;
    const one = (by: number) =>
      sent(batch, {
        ...hands,
        lay: hands.lay.moved(first!.key, { ...first!, y: hands.lay.plan.used + inches(by) }).lay,
      });
    const answers = await Promise.all([saveLayByHand(one(1)), saveLayByHand(one(2))]);
    expect(answers.map(({ ok }) => ok).sort()).toEqual([false, true]);
    const lost = answers.find(({ ok }) => !ok)!;
    expect(lost).toMatchObject({ ok: false, stale: { version: 2 } });
    expect((await rowOf(batch)).version).toBe(2);
  });

  test('against an approval: either the lay that was moved is approved, or the move is refused', async () => {
    for (let i = 0; i < 6; i++) {
      const batch = await laidBatch();
      const hands = await handsOf(batch);
      const [first] = hands.lay.items;
      const moved = hands.lay.moved(first!.key, { ...first!, y: hands.lay.plan.used + inches(3) }).lay;
      const { version } = (await getBatch(batch))!.batch;
      const [saved, approved] = await Promise.all([
        saveLayByHand(sent(batch, { ...hands, lay: moved })),
        approveBatch(batch, version),
      ]);
      expect([saved.ok, approved.ok].filter(Boolean)).toHaveLength(1);
      if (approved.ok) {
        expect(faultsOf(saved)[0]!.message).toMatch(/approved/);
        expect((await rowOf(batch)).version).toBe(1);
      } else expect((await rowOf(batch)).usedNm).toBe(moved.plan.used);
    }
  });
});

test('who else has a table open is shown, until they are gone; and which version is saved', async () => {
  const batch = await laidBatch();
  const page = (n: number) => JSON.stringify({ page: `00000000-0000-4000-8000-00000000000${n}` });
  expect(await visitTable(batch, cloth, page(1))).toEqual({ others: [], version: 1 });
  expect(await visitTable(batch, cloth, page(2))).toEqual({ others: ['somebody'], version: 1 });
  expect(await visitTable(batch, cloth, 'nonsense')).toEqual({ others: [], version: 1 });
  await db.update(schema.tableVisits).set({ seenAt: new Date(Date.now() - 30_000) });
  expect(await visitTable(batch, cloth, page(1))).toEqual({ others: [], version: 1 });
  expect(await visitTable(batch, cloth + 1, page(1))).toBeNull();
});

describe('other ways', () => {
  /** A line whose panel is wider than the cloth: it is joined, and may be run along the bolt. */
  const wide = () => lineForm(cloth, { qty: '2', typed: { width: '70', height: '20' } });
  const offersOf = async (batch: number) => (JSON.parse((await getWaysText(batch, cloth))!) as WaysDocument).offers;
  async function laidWay(batch: number, name: RegExp) {
    const way = (await offersOf(batch)).find((one) => name.test(one.name))!;
    const [job] = (await jobsOfWays(batch, cloth, [way]))!;
    const read = readMarkerJob(job!);
    const plan = nest(read.job, { steps: 40 });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    return { ...way, ...read, plan: plan.value };
  }

  test('are laid, kept with their figures, and taken: the lay is then the way, and the order says how its panel is cut', async () => {
    const batch = await laidBatch([wide()]);
    const before = await handsOf(batch);
    const way = await laidWay(batch, /front .*(along the bolt|joined)/);
    const ways = [{ name: way.name, changes: way.changes, plan: planToJson(way.plan, way.job.units) as object }];
    const kept = value(await keepWays({ batchId: batch, clothId: cloth, version: 1, ways }));
    const shown = JSON.parse((await getWaysText(batch, cloth))!) as WaysDocument;
    expect(shown.kept).toMatchObject([{ name: way.name, usedNm: way.plan.used, layVersion: 1, takenAt: null }]);
    value(await takeWay({ batchId: batch, clothId: cloth, version: 1, wayId: kept.ids[0]! }));
    const row = await rowOf(batch);
    expect(row).toMatchObject({ version: 2, how: way.name, usedNm: way.plan.used });
    const after = await handsOf(batch);
    expect(findFaults(after.lay.job, after.lay.plan)).toEqual([]);
    expect(after.lay.items.length).not.toBe(before.lay.items.length);
    // Laid again it stays so: the order line says it now.
    await layAtOnce(db, batch, A_MOMENT);
    expect((await handsOf(batch)).lay.items.length).toBe(after.lay.items.length);
    expect((JSON.parse((await getWaysText(batch, cloth))!) as WaysDocument).kept[0]!.takenAt).not.toBeNull();
  });

  test('that were laid for another lay, or can’t be cut, are refused', async () => {
    const batch = await laidBatch();
    const way = await laidWay(batch, /On cloth 60 in/);
    const one = { name: way.name, changes: way.changes, plan: planToJson(way.plan, way.job.units) as object };
    expect(faultsOf(await keepWays({ batchId: batch, clothId: cloth, version: 7, ways: [one] }))[0]!.code).toBe(
      'stale',
    );
    const none = { ...one, plan: { ...one.plan, lays: [] } };
    expect(faultsOf(await keepWays({ batchId: batch, clothId: cloth, version: 1, ways: [none] }))[0]!.message).toMatch(
      /can’t be cut as it was laid/,
    );
    expect(
      faultsOf(
        await keepWays({
          batchId: batch,
          clothId: cloth,
          version: 1,
          ways: [{ ...one, changes: [{ is: 'magic' } as never] }],
        }),
      ),
    ).not.toEqual([]);
    expect(await jobsOfWays(batch, cloth, [{ name: 'x', changes: [] }])).toBeNull();
    expect(faultsOf(await takeWay({ batchId: batch, clothId: cloth, version: 1, wayId: 99 }))[0]!.code).toBe('gone');
    expect(await rowOf(batch)).toMatchObject({ version: 1 });
  });
});

test('the finished covers have every face that the lay cuts, cover by cover', async () => {
  const batch = await laidBatch([lineForm(cloth, { qty: '3', typed: { width: '18', height: '18' } })]);
  const { lines } = JSON.parse((await getFinishedText(batch))!) as Finished;
  expect(lines).toHaveLength(1);
  const [line] = lines;
  for (const cover of [1, 2, 3])
    expect(line!.faces.filter((face) => face.cover === cover).map(({ name, nth }) => `${name} ${nth}`)).toEqual([
      'front 1',
      'back panel 1',
      'back panel 2',
    ]);
  expect(line!.faces[0]!.seam).toBe(inches(1 / 2));
  expect(await getFinishedText(99)).toBeNull();
});

describe('a photograph of a cloth', () => {
  const marks = {
    across: [
      [100, 100],
      [300, 100],
    ],
    acrossRepeats: 1,
    along: [
      [100, 300],
      [100, 200],
    ],
    alongRepeats: 1,
    apart: inches(10),
    edges: null,
  };
  const picture = () => sharp({ create: { width: 600, height: 400, channels: 3, background: '#486' } });

  test('gives the cloth its repeat and its look; what the file carried beside its pixels is gone', async () => {
    const bytes = await picture()
      .withExif({ IFD0: { Copyright: 'somebody', ImageDescription: 'at home' } })
      .jpeg()
      .toBuffer();
    const kept = await readClothPhoto(bytes, marks);
    if (!kept.ok) throw new Error(kept.faults[0]!.message);
    expect(kept.value.reading).toMatchObject({ across: inches(10), along: inches(5), drop: 0 });
    value(await keepClothPhoto({ id: cloth, version: 1, kept: kept.value }));
    const [row] = await db.select().from(schema.cloths).where(eq(schema.cloths.id, cloth));
    expect(row).toMatchObject({ repeatAcrossNm: inches(10), repeatAlongNm: inches(5), photoVersion: 1, version: 2 });
    const tile = await sharp((await clothTile(cloth, 1))!).metadata();
    expect([tile.format, tile.width, tile.height, tile.exif]).toEqual(['jpeg', 640, 320, undefined]);
    expect(await clothTile(cloth, 2)).toBeNull();
    const photo = (await db.select().from(schema.clothPhotos))[0]!.photo;
    expect((await sharp(Buffer.from(photo, 'base64')).metadata()).exif).toBeUndefined();
    expect(photo).not.toContain(Buffer.from('somebody').toString('base64').slice(0, 8));
  });

  test.each([
    ['text', async () => Buffer.from('not a picture')],
    [
      'a drawing with a script',
      async () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>1</script></svg>'),
    ],
    ['half a picture', async () => (await picture().jpeg().toBuffer()).subarray(0, 900)],
    ['a bomb of 20,000 by 20,000 pixels', async () => blackPng(20_000, 20_000)],
    ['a moving picture of another format', async () => picture().gif().toBuffer()],
  ])('%s is refused in a sentence', async (_, make) => {
    const read = await readClothPhoto(await make(), marks);
    expect(read.ok ? '' : read.faults[0]!.message).toMatch(/^(This is no JPEG|The picture can’t be read).*\.$/);
  });

  test.each([
    ['no marks', {}],
    [
      'marks in one spot',
      {
        ...marks,
        across: [
          [5, 5],
          [6, 5],
        ],
      },
    ],
    ['a distance of nothing', { ...marks, apart: 0 }],
  ])('%s: refused in a sentence', async (_, given) => {
    const read = await readClothPhoto(await picture().png().toBuffer(), given);
    expect(read.ok ? '' : read.faults[0]!.message).toMatch(/[Mm]ark.*\.$/);
  });
});

import { randomUUID } from 'node:crypto';
import { eq, isNull } from 'drizzle-orm';
import sharp from 'sharp';
import { beforeEach, describe, expect, test } from 'vitest';
import { kindById, KINDS } from '@/core/covers';
import { kindToJson } from '@/core/files';
import { jobToJson, nest, planToJson } from '@/core/lay';
import { HandLay } from '@/core/marker';
import { database, schema, transact } from '@/db';
import { approveBatch, withdrawApproval } from '@/features/batches/approval';
import * as batches from '@/features/batches/commands';
import { getBatch } from '@/features/batches/queries';
import * as checking from '@/features/checking/commands';
import { keepFindingPhoto, readFindingPhoto } from '@/features/checking/photos';
import { partsOfLine, recutOffers } from '@/features/checking/recut-offers';
import { deleteCloth, saveCloth } from '@/features/cloth/commands';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { dropPhoto, keepClothPhoto, readClothPhoto } from '@/features/cloth/photo';
import type { Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import { type Command } from '@/features/commands/perform';
import { COMMAND_PLACES, type CommandName } from '@/features/commands/permission';
import { closeLay, markCut, recutPiece } from '@/features/cutting/commands';
import { takeEntries } from '@/features/cutting/entries';
import { getCutting } from '@/features/cutting/queries';
import * as days from '@/features/days/commands';
import { USUAL_ROOM } from '@/core/schedule';
import * as devices from '@/features/devices/commands';
import * as machines from '@/features/machines/commands';
import { NO_MACHINES } from '@/features/machines/form';
import * as materials from '@/features/materials/commands';
import { EMPTY_MATERIAL } from '@/features/materials/form';
import * as money from '@/features/money/commands';
import { makeQuote } from '@/features/money/make-quote';
import { emptyLine } from '@/features/orders/form';
import * as orders from '@/features/orders/commands';
import { importSheet } from '@/features/orders/import';
import * as sewing from '@/features/sewing/commands';
import * as room from '@/features/room/commands';
import { USUAL_PLACES } from '@/core/making';
import { addPerson, removePerson } from '@/features/people/commands';
import { awaitGoods, changeAwaited } from '@/features/stock/awaited';
import * as stock from '@/features/stock/commands';
import * as table from '@/features/table/commands';
import { getTableText } from '@/features/table/queries';
import { openTable } from '@/features/table/table-document';
import { readMarkerJob } from '@/features/table/way-job';
import * as ways from '@/features/table/ways';
import type { WaysDocument } from '@/features/table/ways-document';
import * as workroom from '@/features/workroom/commands';
import { EMPTY_KIND, USUAL_RULES } from '@/features/workroom/form';
import { USUAL_COSTING_FORM } from '@/core/cost/costing-form';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm, orderForm } from '../support/forms';
import { linesOf, savedOrder } from '../support/orders';
import { blackPng } from '../support/pictures';
import { receipt } from '../support/stock';
import { A_MOMENT, db, inWorkroom, value } from '../support/workroom';

// Every command by forty at once, four times as many as a process has connections: each gets an answer, and the database is there for the
// next one. A command that asks for a second connection while it holds one fails here.

const CROWD = 40;

inWorkroom();

let cloth: number;
let bolt: number;
let zip: number;
let pack: number;
let order: number;
let person: number;
beforeEach(async () => {
  cloth = value(
    await runCommand(saveCloth, {
      form: { ...EMPTY_CLOTH, name: 'Plain drill', price: '12', turns: 'half' },
      edited: null,
    }),
  ).id;
  bolt = value(await runCommand(stock.receive, receipt(cloth, { length: '900 yd' }))).id;
  zip = value(
    await runCommand(materials.saveMaterial, {
      form: { ...EMPTY_MATERIAL, name: 'Coil zip 14 in', length: '14', price: '0.60' },
      edited: null,
    }),
  ).id;
  pack = value(
    await runCommand(
      stock.receive,
      receipt(cloth, { what: `material ${zip}`, width: '', length: '', count: '500', price: '0.60' }),
    ),
  ).id;
  order = await savedOrder([lineForm(cloth, { typed: { width: '20', height: '18' } })]);
  person = value(await runCommand(addPerson, { name: 'Wren' })).id;
});

const draft = async () =>
  value(await runCommand(batches.createBatch, { name: 'Test batch', lineIds: await linesOf(order) })).id;
async function laid() {
  const id = await draft();
  await layAtOnce(db, id, A_MOMENT);
  return id;
}
const versionOf = async (batchId: number) => (await getBatch(batchId))!.batch.version;
async function approved() {
  const id = await laid();
  value(await runCommand(approveBatch, { batchId: id, version: await versionOf(id) }));
  return id;
}
async function cutForm(batchId: number) {
  const view = (await getCutting(batchId, cloth))!;
  const from = view.lengths.map(({ code, itemId }) => ({ code, itemId }));
  return { batchId, clothId: cloth, version: view.batch.version, from, events: [], remnants: [] };
}
async function cut() {
  const batchId = await approved();
  value(await runCommand(closeLay, await cutForm(batchId)));
  return batchId;
}
const coversOf = async (batchId: number): Promise<number[]> =>
  (
    await db
      .select({ id: schema.covers.id })
      .from(schema.covers)
      .innerJoin(schema.orderLines, eq(schema.orderLines.id, schema.covers.lineId))
      .where(eq(schema.orderLines.batchId, batchId))
      .orderBy(schema.covers.id)
  ).map(({ id }) => id);
async function begun(): Promise<[number[], number]> {
  const coverIds = await coversOf(await cut());
  return [coverIds, value(await runCommand(sewing.beginRun, { coverIds })).id];
}
/** A cover that is sewn and waits to be checked, with its line. */
async function sewn(): Promise<[number, number]> {
  const [id] = await coversOf(await cut());
  for (const event of ['begin', 'finish'])
    value(await runCommand(room.stepCovers, { coverIds: [id], event, note: '' }));
  const [row] = await db.select().from(schema.covers).where(eq(schema.covers.id, id!));
  return [id!, row!.lineId];
}
/** A finding on it for which a piece is cut again, and the first way to do so. */
async function recutOf(cover: number, lineId: number) {
  const findingId = randomUUID();
  const found = { look: 0, what: 'a slub', spot: null, cause: 'cloth', decision: 'recut', minutesLost: 5 };
  const entries = [{ do: 'find', entry: findingId, step: 0, at: AT, cover, ...found }];
  value(await runCommand(checking.takeCheckEntries, { lineId, entries }));
  const [part] = await partsOfLine(db, lineId);
  const [offer] = await recutOffers(db, lineId, cloth, part!.part);
  return { findingId, clothId: cloth, part: part!.part, offer: offer!.key };
}
async function packed(): Promise<number[]> {
  const coverIds = await coversOf(await cut());
  for (const event of ['begin', 'finish', 'pass', 'pack'])
    value(await runCommand(room.stepCovers, { coverIds, event, note: '' }));
  return coverIds;
}
async function handLay(batchId: number) {
  const { marker } = openTable((await getTableText(batchId, cloth))!);
  const lay = HandLay.locked(marker.job, marker.plan);
  const { placed = [] } = jobToJson(lay.lockedJob(), marker.cloth) as { placed?: object[] };
  return {
    batchId,
    clothId: cloth,
    version: marker.version,
    plan: planToJson(lay.plan, lay.job.units) as object,
    placed,
  };
}
/** The first other way of a lay, laid. */
async function anotherWay(batchId: number) {
  const { offers } = JSON.parse((await ways.getWaysText(batchId, cloth))!) as WaysDocument;
  const way = offers[0]!;
  const { job } = readMarkerJob((await ways.jobsOfWays(batchId, cloth, [way]))![0]!);
  const plan = nest(job, { steps: 40 });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  const laidWay = { name: way.name, changes: way.changes, plan: planToJson(plan.value, job.units) as object };
  return { batchId, clothId: cloth, version: 1, ways: [laidWay] };
}
const SHEET_FIELDS = ['order', 'customer', 'kind', 'qty', 'value:width', 'value:height', 'cloth:face'];
const sheetOf = (customer: string) => ({
  columns: ['Order', 'Customer', 'Kind', 'How many', 'Width', 'Height', 'Cloth'],
  rows: [['A', customer, 'Envelope cushion', '2', '17', '17', 'plain drill']],
});
async function quote() {
  const zipped = {
    ...emptyLine(kindById('zip-cushion')!),
    typed: { width: '16', height: '16' },
    cloth: { face: String(cloth) },
  };
  return value(await makeQuote(await savedOrder([lineForm(cloth, zipped)]))).id;
}
const list = { asOf: '2027-01-04', supplier: 'Loom Lane', currency: 'GBP', articles: [] };

const AT = '2026-11-29T10:00:00.000Z';

type Ask = (i: number) => Promise<Answer<unknown>>;
/** A row runs a command: the same one for everybody, or one of their own. */
const each =
  <I, T>(command: Command<I, T>, input: unknown | ((i: number) => unknown)): Ask =>
  (i) =>
    runCommand(command, typeof input === 'function' ? (input as (i: number) => unknown)(i) : input, randomUUID());

/** Input of each command, once its workroom is made ready. */
const CROWDS: Record<CommandName, () => Promise<Ask>> = {
  'save order': async () =>
    each(orders.saveOrder, (i: number) => ({
      form: orderForm([lineForm(cloth)], { customer: `Crew ${i}` }),
      edited: null,
    })),
  'copy order': async () => each(orders.copyOrder, { id: order }),
  'delete order': async () => each(orders.deleteOrder, { id: order }),
  'restore order': async () => {
    value(await runCommand(orders.deleteOrder, { id: order }));
    return each(orders.restoreOrder, { id: order });
  },
  'bring orders in': async () => (i) =>
    importSheet({ sheet: sheetOf(`Crew ${i}`), fields: SHEET_FIELDS, isPartial: false }),
  'make batch': async () => {
    const lineIds = await linesOf(order);
    return each(batches.createBatch, { name: 'Crowd', lineIds });
  },
  'take line out of batch': async () => {
    const batchId = await draft();
    return each(batches.removeLine, { batchId, lineId: (await linesOf(order))[0] });
  },
  'make lays': async () => each(batches.makeLays, { batchId: await draft(), seconds: 5 }),
  'stop lays': async () => {
    const batchId = await draft();
    value(await runCommand(batches.makeLays, { batchId, seconds: 5 }));
    return each(batches.stopLays, { batchId });
  },
  'delete batch': async () => each(batches.deleteBatch, { batchId: await draft() }),
  'approve batch': async () => {
    const batchId = await laid();
    return each(approveBatch, { batchId, version: await versionOf(batchId) });
  },
  'take approval back': async () => each(withdrawApproval, { batchId: await approved() }),
  'change lay by hand': async () => each(table.saveLayByHand, await handLay(await laid())),
  'keep ways': async () => {
    return each(ways.keepWays, await anotherWay(await laid()));
  },
  'take another way': async () => {
    const laidWays = await anotherWay(await laid());
    const { ids } = value(await runCommand(ways.keepWays, laidWays));
    const { ways: _, ...lay } = laidWays;
    return each(ways.takeWay, { ...lay, wayId: ids[0] });
  },
  'note cuts': async () => {
    const batchId = await approved();
    return each(takeEntries, () => ({
      batchId,
      clothId: cloth,
      layVersion: 1,
      entries: [{ do: 'tick', step: 1, entry: randomUUID(), at: '2027-01-05T10:00:00.000Z' }],
    }));
  },
  'close lay': async () => each(closeLay, await cutForm(await approved())),
  'mark batch cut': async () => each(markCut, { batchId: await approved() }),
  'cut piece again': async () => {
    const batchId = await cut();
    const [part] = (await getCutting(batchId, cloth))!.parts;
    return each(recutPiece, { batchId, clothId: cloth, part: part!.id, itemId: bolt, length: '20', why: 'a slip' });
  },
  'move covers': async () => {
    const coverIds = await coversOf(await cut());
    return each(room.moveToPlace, { coverIds, place: 'machines' });
  },
  'step covers': async () => {
    const coverIds = await coversOf(await cut());
    return each(room.stepCovers, { coverIds, event: 'begin', note: '' });
  },
  'take move back': async () => {
    const coverIds = await coversOf(await cut());
    value(await runCommand(room.stepCovers, { coverIds, event: 'begin', note: '' }));
    return each(room.takeMoveBack, { coverIds });
  },
  'begin run': async () => {
    const coverIds = await coversOf(await cut());
    return each(sewing.beginRun, { coverIds });
  },
  'note sewing': async () => {
    const [coverIds, runId] = await begun();
    return each(sewing.takeRunEntries, (i: number) => ({
      runId,
      entries: [{ do: 'tick', entry: randomUUID(), step: 4 + (i % 2), at: AT, covers: coverIds, answer: 'yes' }],
    }));
  },
  'note minutes': async () => {
    const [, runId] = await begun();
    return each(sewing.noteMinutes, () => ({ runId, minutes: 5, entry: randomUUID() }));
  },
  'end run': async () => {
    const [, runId] = await begun();
    return each(sewing.endRun, { runId });
  },
  'hold covers': async () => {
    const coverIds = await coversOf(await cut());
    return each(room.holdCovers, (i: number) => ({ coverIds, hold: i % 2 ? 'customer' : null, why: '' }));
  },
  'save places': async () => each(room.savePlaces, { places: USUAL_PLACES }),
  'save hours': async () => each(days.saveHours, USUAL_ROOM),
  'lock run': async () =>
    each(days.lockRun, (i: number) => ({ runId: `line-${i + 1}-sew`, personId: person, notBefore: null })),
  'keep plan of day': async () =>
    each(days.keepPlan, (i: number) => ({ day: `2026-12-${String(1 + (i % 28)).padStart(2, '0')}`, ready: {} })),
  'set minutes aside': async () => {
    const [, runId] = await begun();
    value(await runCommand(sewing.endRun, { runId }));
    return each(days.setMinutesAside, { runId, why: 'the machine was oiled' });
  },
  'hand over': async () => {
    const coverIds = await packed();
    return each(room.handOver, { orderId: order, coverIds, day: '2026-12-04', toWhom: 'the van', note: '' });
  },
  'take delivery back': async () => {
    const coverIds = await packed();
    const given = { orderId: order, coverIds, day: '2026-12-04', toWhom: 'the van', note: '' };
    const { id } = value(await runCommand(room.handOver, given));
    return each(room.takeDeliveryBack, { id, why: 'the wrong boat' });
  },
  'note checks': async () => {
    const [coverId, lineId] = await sewn();
    return each(checking.takeCheckEntries, () => ({
      lineId,
      entries: [{ do: 'look', entry: randomUUID(), step: 1, at: AT, cover: coverId, measuredNm: 4e8, isRight: false }],
    }));
  },
  'choose recut': async () => {
    const [coverId, lineId] = await sewn();
    const choice = await recutOf(coverId, lineId);
    return each(checking.chooseRecut, choice);
  },
  'note recut as cut': async () => {
    const [coverId, lineId] = await sewn();
    const { id } = value(await runCommand(checking.chooseRecut, await recutOf(coverId, lineId)));
    return each(checking.recutIsCut, { id, itemId: null });
  },
  'keep finding photo': async () => {
    const [coverId, lineId] = await sewn();
    const { findingId } = await recutOf(coverId, lineId);
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a33' } })
      .jpeg()
      .toBuffer();
    const photo = ((await readFindingPhoto(new Uint8Array(picture))) as { value: string }).value;
    return () => keepFindingPhoto(findingId, photo);
  },
  'send lay to cutter': async () => {
    const answer = { id: 'job-1', state: 'waiting', progress: 0, seconds: 60, faults: [] };
    return each(machines.keepCutterJob, {
      batchId: await approved(),
      clothId: cloth,
      layVersion: 1,
      address: 'http://127.0.0.1:4101',
      answer,
    });
  },
  'note cutter state': async () => {
    const answer = { id: 'job-1', state: 'waiting', progress: 0, seconds: 60, faults: [] };
    const sent = { batchId: await approved(), clothId: cloth, layVersion: 1, address: 'http://127.0.0.1:4101', answer };
    const { id } = value(await runCommand(machines.keepCutterJob, sent as never));
    return each(machines.noteCutterState, { id, state: 'cutting', progress: 0.5, seconds: 60, faults: [] });
  },
  'choose stock': async () =>
    each(stock.chooseStock, { batchId: await draft(), clothId: cloth, pinned: [bolt], leftOut: [], isLotMixed: false }),
  'move stock': async () => each(stock.moveItem, (i: number) => ({ id: bolt, place: `rack ${i}` })),
  'count stock': async () =>
    each(stock.countItem, (i: number) => ({ id: pack, amount: String(100 + i), reason: 'count' })),
  'book count of the shelf': async () =>
    each(stock.bookCount, { rows: [{ id: pack, amount: '400', seen: 500 }], reason: 'the yearly count' }),
  'use notion': async () => each(stock.useNotion, { id: pack, amount: '1', orderNo: '', reason: 'samples' }),
  receive: async () =>
    each(stock.receive, receipt(cloth, { what: `material ${zip}`, width: '', length: '', count: '5', price: '0.60' })),
  'await goods': async () => each(awaitGoods, { what: `cloth ${cloth}`, quantity: 5e9, day: '2027-01-08', note: '' }),
  'change awaited': async () => {
    const goods = { what: `cloth ${cloth}`, quantity: 5e9, day: '2027-01-08', note: '' };
    const { id } = value(await runCommand(awaitGoods, goods));
    return each(changeAwaited, (i: number) => ({ id, day: `2027-01-${String(9 + (i % 20)).padStart(2, '0')}` }));
  },
  'receive delivery': async () => each(stock.receiveDelivery, { rows: [receipt(cloth), receipt(cloth, { lot: '4' })] }),
  'let stock go': async () => each(stock.letGo, { id: pack, reason: 'too old' }),
  'reverse movement': async () => {
    value(await runCommand(stock.useNotion, { id: pack, amount: '2', orderNo: '', reason: 'samples' }));
    const [used] = await db.select().from(schema.movements).where(eq(schema.movements.sort, 'used'));
    return each(stock.reverseMovement, { id: used!.id, reason: 'by mistake' });
  },
  'save cloth': async () =>
    each(saveCloth, (i: number) => ({ form: { ...EMPTY_CLOTH, name: `Cloth ${i}`, price: '9' }, edited: null })),
  'delete cloth': async () => {
    const { id } = value(
      await runCommand(saveCloth, { form: { ...EMPTY_CLOTH, name: 'Spare', price: '9' }, edited: null }),
    );
    return each(deleteCloth, { id });
  },
  'keep cloth photo': async () => {
    const [row] = await db.select().from(schema.cloths).where(eq(schema.cloths.id, cloth));
    const square = [
      [10, 10],
      [90, 10],
      [90, 90],
      [10, 90],
    ];
    const marks = { sheet: square, paper: 'a4', repeat: square } as never;
    const read = await readClothPhoto(new Uint8Array(await blackPng(400, 400)), marks).catch(() => null);
    const kept = {
      photo: '',
      tile: '',
      marks: {},
      reading: { across: 254_000_000, along: 254_000_000, drop: 0, width: null },
    };
    return () =>
      keepClothPhoto({ id: cloth, version: row!.version, kept: (read && 'kept' in read ? read.kept : kept) as never });
  },
  'drop cloth photo': async () => each(dropPhoto, { id: cloth }),
  'save notion': async () =>
    each(materials.saveMaterial, (i: number) => ({
      form: { ...EMPTY_MATERIAL, name: `Zip ${i}`, length: '12', price: '1' },
      edited: null,
    })),
  'delete notion': async () => {
    const form = { ...EMPTY_MATERIAL, name: 'Spare zip', length: '9', price: '1' };
    const { id } = value(await runCommand(materials.saveMaterial, { form, edited: null }));
    return each(materials.deleteMaterial, { id });
  },
  'make quote': async () => () => makeQuote(order, randomUUID()),
  'edit quote': async () =>
    each(money.editQuote, {
      id: await quote(),
      version: 1,
      words: 'as agreed',
      validUntil: '2027-05-01',
      deposit: '1',
    }),
  'step quote': async () => each(money.stepQuote, { id: await quote(), event: 'send' }),
  'propose prices': async () => each(machines.keepProposals, list),
  'decide on price': async () => {
    const [row] = await db
      .insert(schema.priceProposals)
      .values({
        supplier: 'Loom Lane',
        clothId: cloth,
        article: 'x',
        priceMinor: 900,
        currency: 'GBP',
        pricePer: 'yd',
        asOf: '2027-01-04',
      })
      .returning();
    return each(machines.decideProposal, { id: row!.id, isTaken: true });
  },
  'save machines': async () => each(machines.saveMachines, NO_MACHINES),
  'save workroom rules': async () => each(workroom.saveRules, USUAL_RULES),
  'save costing': async () => each(workroom.saveCosting, USUAL_COSTING_FORM),
  'save workroom address': async () =>
    each(workroom.saveAddress, { name: 'The Loft', address: '1 Weir Lane', contact: '', taxNumber: '' }),
  'save workroom logo': async () => each(workroom.keepLogo, { png: 'aGVsbG8=' }),
  'skip first hour': async () => each(workroom.skipFirstHour, null),
  'make backup': async () => each(workroom.keepBackup, { at: '2027-01-05T10:00:00.000Z', bytes: 1000 }),
  'save kind': async () => each(workroom.saveKind, { kind: { ...EMPTY_KIND, name: 'Punt cushion' }, edited: null }),
  'take kind in': async () =>
    each(workroom.importKind, (i: number) => ({ source: kindToJson(KINDS[0]!), name: `Punt cushion ${i}` })),
  'withdraw kind': async () => {
    const made = await runCommand(workroom.saveKind, { kind: { ...EMPTY_KIND, name: 'Punt cushion' }, edited: null });
    return each(workroom.withdrawKind, { id: made.ok ? made.value.id : 1, isWithdrawn: true });
  },
  'add person': async () => each(addPerson, (i: number) => ({ name: `Hand ${i}` })),
  'remove person': async () => each(removePerson, { id: person }),
  'show pairing code': async () => each(devices.showPairingCode, null),
  'revoke device': async () => {
    const [row] = await db.insert(schema.devices).values({ name: 'tablet', tokenHash: randomUUID() }).returning();
    return each(devices.revokeDevice, { id: row!.id });
  },
};

/** Refusals that say that the application was not up to it, in place of what is wrong with the request. */
const FAILED = ['unavailable', 'waited'];

describe('forty at once', () => {
  test.each(Object.keys(COMMAND_PLACES) as CommandName[])('%s: everybody is answered', async (name) => {
    const ask = await CROWDS[name]();
    const answers = await Promise.all(Array.from({ length: CROWD }, (_, i) => ask(i)));
    const codes = answers.flatMap((answer) =>
      answer.ok ? [] : answer.faults.map(({ code, message }) => `${code}: ${message}`),
    );
    expect(codes.filter((code) => FAILED.some((failed) => code.startsWith(failed)))).toEqual([]);
    expect(codes.length).toBeLessThan(CROWD);
    expect(await database().select().from(schema.people).where(isNull(schema.people.leftAt))).toBeInstanceOf(Array);
  });
});

test('inside a command there is no other door to the database', async () => {
  await expect(transact(async () => database())).rejects.toThrow('through its own transaction');
  expect(database()).toBeDefined();
});

import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, test } from 'vitest';
import { tries } from '@/bench/tries';
import { BY_HAND, COVER_TRANSITIONS, type CoverState, type HandEvent } from '@/core/making';
import { schema } from '@/db';
import { approveBatch, createBatch, withdrawApproval } from '@/features/batches/actions';
import { getBatch } from '@/features/batches/queries';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { closeLay } from '@/features/cutting/actions';
import { getCutting } from '@/features/cutting/queries';
import { getPaper } from '@/features/papers/queries';
import * as room from '@/features/room/actions';
import { deliveriesOf, getRoom, orderWay, packedCovers } from '@/features/room/queries';
import { receive } from '@/features/stock/actions';
import { layAtOnce } from '@/work/lay-batch';
import { lineForm } from '../support/forms';
import { linesOf, savedOrder } from '../support/orders';
import { receipt } from '../support/stock';
import { A_MOMENT, db, faultsOf, inWorkroom, value } from '../support/workroom';

// Covers as the database keeps them, from the approval of their batch to the customer.

let face: number;
let back: number;
let order: number;
let batch: number;

inWorkroom();
beforeEach(async () => {
  const cloth = async (name: string) => {
    const { id } = value(await saveCloth({ ...EMPTY_CLOTH, name, price: '12', turns: 'half' }, null));
    value(await receive(receipt(id)));
    return id;
  };
  face = await cloth('Plain drill');
  back = await cloth('Back drill');
  // Two cushions of two cloths, and three of one.
  order = await savedOrder([
    lineForm(face, {
      qty: '2',
      typed: { width: '20', height: '18' },
      cloth: { face: String(face), back: String(back) },
    }),
    lineForm(face, { qty: '3', typed: { width: '15', height: '15' } }),
  ]);
  batch = value(await createBatch({ name: 'Test batch', lineIds: await linesOf(order) })).id;
  await layAtOnce(db, batch, A_MOMENT);
});

const approve = async () => value(await approveBatch(batch, (await getBatch(batch))!.batch.version));
async function close(cloth: number) {
  const view = (await getCutting(batch, cloth))!;
  const from = view.lengths.map(({ code, itemId }) => ({ code, itemId }));
  value(
    await closeLay({ batchId: batch, clothId: cloth, version: view.batch.version, from, events: [], remnants: [] }),
  );
}
const coversNow = () => db.select().from(schema.covers).orderBy(schema.covers.id);
const states = async () => (await coversNow()).map(({ state }) => state);
const statusOfOrder = async () => (await db.select().from(schema.orders).where(eq(schema.orders.id, order)))[0]!.status;
const idsOf = async () => (await coversNow()).map(({ id }) => id);
const step = async (coverIds: number[], event: HandEvent, note = '') =>
  value(await room.stepCovers(coverIds, event, note));

describe('a cover', () => {
  test('that is not cut yet has its missing parts named by cloth and batch', async () => {
    await approve();
    const missing = async () =>
      (await orderWay(order))!.lines.map(({ toCut }) =>
        toCut.map(({ cloth, batch: name, count }) => `${count} of ${cloth} in ${name}`).sort(),
      );
    // An envelope cushion has one front, and a back of two parts.
    expect(await missing()).toEqual([
      ['2 of Plain drill in Test batch', '4 of Back drill in Test batch'],
      ['9 of Plain drill in Test batch'],
    ]);
    await close(face);
    expect(await missing()).toEqual([['4 of Back drill in Test batch'], []]);
    await close(back);
    expect(await missing()).toEqual([[], []]);
  });

  test('is there from the approval of its batch on, and gone when that is taken back', async () => {
    expect(await states()).toEqual([]);
    await approve();
    expect((await coversNow()).map(({ lineId, number }) => [lineId, number])).toEqual(
      (await linesOf(order)).flatMap((id, i) => Array.from({ length: i === 0 ? 2 : 3 }, (_, n) => [id, n + 1])),
    );
    expect(await states()).toEqual(Array.from({ length: 5 }, () => 'to cut'));
    expect(await statusOfOrder()).toBe('approved');
    value(await withdrawApproval(batch));
    expect(await states()).toEqual([]);
    expect(await statusOfOrder()).toBe('batched');
  });

  test('is cut once every cloth that it is made of is, and not before', async () => {
    await approve();
    await close(face);
    expect(await states()).toEqual(['to cut', 'to cut', 'cut', 'cut', 'cut']);
    expect(await statusOfOrder()).toBe('approved');
    await close(back);
    expect(await states()).toEqual(Array.from({ length: 5 }, () => 'cut'));
    expect(await statusOfOrder()).toBe('cut');
  });

  test('goes from place to place: what that means follows from the place, and its last step is taken back', async () => {
    await approve();
    await close(face);
    await close(back);
    const [one, two] = (await idsOf()) as [number, number];
    value(await room.moveToPlace([one, two], 'machines'));
    expect((await states()).slice(0, 2)).toEqual(['in sewing', 'in sewing']);
    expect(faultsOf(await room.moveToPlace([one], 'door'))).toEqual([
      { code: 'state', field: '', message: 'It is being sewn: it goes back to the cut covers, or on to be checked.' },
    ]);
    value(await room.takeMoveBack([two]));
    expect((await states()).slice(0, 2)).toEqual(['in sewing', 'cut']);
    // An undo is not undone.
    expect((await room.takeMoveBack([two])).ok).toBe(false);
    expect(faultsOf(await room.moveToPlace([one, two], 'bench'))[0]!.message).toContain('not sewn yet');
    expect((await states())[0], 'refused as a whole').toBe('in sewing');
  });

  test('that is held waits where it is until it is released', async () => {
    await approve();
    await close(face);
    await close(back);
    const ids = await idsOf();
    value(await room.holdCovers([ids[0]!], 'customer', 'which colour of cord?'));
    expect(faultsOf(await room.stepCovers(ids, 'begin', ''))[0]!.message).toContain('held');
    expect((await states()).every((state) => state === 'cut')).toBe(true);
    expect((await getRoom()).groups.map(({ hold, count }) => [hold, count])).toEqual(
      expect.arrayContaining([
        ['customer', 1],
        [null, 1],
        [null, 3],
      ]),
    );
    value(await room.holdCovers([ids[0]!], null, ''));
    await step(ids, 'begin');
    expect(await statusOfOrder()).toBe('in sewing');
  });

  test('to be mended says what was found', async () => {
    await approve();
    await close(face);
    await close(back);
    const ids = await idsOf();
    await step(ids, 'begin');
    await step(ids, 'finish');
    expect(faultsOf(await room.stepCovers([ids[0]!], 'find', '  '))).toEqual([
      expect.objectContaining({ field: 'note', message: 'Write what was found.' }),
    ]);
    await step([ids[0]!], 'find', 'the piping pulls');
    expect(await statusOfOrder(), 'its order is where its last cover is').toBe('in sewing');
    expect((await orderWay(order))!.events[0]).toMatchObject({ event: 'find', note: 'the piping pulls', numbers: [1] });
  });
});

describe('handing over', () => {
  const pack = async (ids: number[]) => {
    for (const event of ['begin', 'finish', 'pass', 'pack'] as const) await step(ids, event);
  };
  const deliver = (coverIds: number[]) =>
    room.handOver({ orderId: order, coverIds, day: '2026-12-04', toWhom: 'the yard’s van', note: '' }, randomUUID());

  test('a part of an order leaves with a note of what is still to come; the rest follows', async () => {
    await approve();
    await close(face);
    await close(back);
    const ids = await idsOf();
    await pack(ids.slice(0, 3));
    expect(await packedCovers(order)).toEqual({ coverIds: ids.slice(0, 3), left: 2 });
    const first = value(await deliver(ids.slice(0, 3))).id;
    const note = (await getPaper('delivery', first))!;
    expect(note.rows.map(({ qty }) => qty)).toEqual(['2', '1']);
    expect(note.rows[1]!.kind, 'the first of three').toMatch(/\(1 of 3\)$/);
    expect(note.notes[0]).toMatch(/^Still to come: 2 × /);
    expect(await statusOfOrder()).toBe('cut');
    await pack(ids.slice(3));
    const second = value(await deliver(ids.slice(3))).id;
    expect((await getPaper('delivery', second))!.notes[0]).toBe('With this the order is complete.');
    expect(await statusOfOrder()).toBe('handed over');
    expect((await getRoom()).groups).toEqual([]);
    value(await room.takeDeliveryBack(second, 'the wrong boat'));
    expect(await statusOfOrder()).toBe('packed');
    expect((await deliveriesOf(order)).map(({ no, isTakenBack }) => [no, isTakenBack])).toEqual([
      [2, true],
      [1, false],
    ]);
    expect((await room.takeDeliveryBack(second, 'again')).ok).toBe(false);
  });

  test('only what is packed, of this order and not held leaves', async () => {
    await approve();
    await close(face);
    await close(back);
    const ids = await idsOf();
    expect(faultsOf(await deliver(ids))[0]!.message).toBe('Only what is packed is handed over.');
    await pack(ids);
    value(await room.holdCovers([ids[0]!], 'customer', ''));
    expect(faultsOf(await deliver(ids))[0]!.message).toContain('held');
    expect(
      faultsOf(await room.handOver({ orderId: order, coverIds: ids.slice(1), day: 'soon', toWhom: ' ', note: '' })),
    ).toEqual([expect.objectContaining({ field: 'day' }), expect.objectContaining({ field: 'toWhom' })]);
    expect(await deliveriesOf(order)).toEqual([]);
  });
});

test('whatever is tried in whatever order: no cover is lost or in two places, states go along the table, the order is where its last cover is', async () => {
  await approve();
  await close(face);
  await close(back);
  const ids = await idsOf();
  const RANK: CoverState[] = ['to cut', 'cut', 'in sewing', 'to check', 'checked', 'packed', 'handed over'];
  const doing = fc.oneof(
    fc.record({
      what: fc.constant('step' as const),
      some: fc.subarray(ids, { minLength: 1 }),
      event: fc.constantFrom(...BY_HAND),
    }),
    fc.record({
      what: fc.constant('move' as const),
      some: fc.subarray(ids, { minLength: 1 }),
      place: fc.constantFrom('table', 'machines', 'bench', 'door'),
    }),
    fc.record({ what: fc.constant('undo' as const), some: fc.subarray(ids, { minLength: 1 }) }),
    fc.record({ what: fc.constant('give' as const), some: fc.subarray(ids, { minLength: 1 }) }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(doing, { minLength: 5, maxLength: 25 }), async (all) => {
      for (const one of all) {
        if (one.what === 'step') await room.stepCovers(one.some, one.event, 'found');
        else if (one.what === 'move') await room.moveToPlace(one.some, one.place);
        else if (one.what === 'undo') await room.takeMoveBack(one.some);
        else await room.handOver({ orderId: order, coverIds: one.some, day: '2026-12-04', toWhom: 'van', note: '' });
        const now = await coversNow();
        expect(now.map(({ id }) => id)).toEqual(ids);
        const least = Math.min(...now.map(({ state }) => RANK.indexOf(state === 'to mend' ? 'in sewing' : state)));
        expect(await statusOfOrder()).toBe(RANK[least]);
        const shown = (await getRoom()).groups.flatMap(({ coverIds }) => coverIds);
        expect(shown.sort((a, b) => a - b)).toEqual(
          now.filter(({ state }) => state !== 'handed over').map(({ id }) => id),
        );
      }
    }),
    { numRuns: tries(4) },
  );
  // The history of each cover is a chain that ends where the cover is, and goes along the table but where a move was taken back.
  const events = await db.select().from(schema.coverEvents).orderBy(schema.coverEvents.coverId, schema.coverEvents.id);
  for (const cover of await coversNow()) {
    const own = events.filter(({ coverId }) => coverId === cover.id);
    own.reduce((before, { fromState, toState }) => {
      expect(fromState).toBe(before);
      return toState;
    }, 'to cut' as CoverState);
    expect(own.at(-1)!.toState).toBe(cover.state);
    for (const { event, fromState, toState } of own) {
      if (event === 'undo' || event === 'stand') continue;
      const way = COVER_TRANSITIONS[event as keyof typeof COVER_TRANSITIONS];
      expect(way.from).toContain(fromState);
      expect(way.to).toBe(toState);
    }
  }
});

test('places are named by the workroom; every state has one', async () => {
  const places = (await getRoom()).places;
  value(await room.savePlaces([...places, { key: 'loft', name: 'Loft', states: ['in sewing'] }]));
  expect((await getRoom()).places.map(({ name }) => name)).toEqual([
    'Long table',
    'Machines',
    'Bench',
    'Door shelf',
    'Loft',
  ]);
  expect(faultsOf(await room.savePlaces(places.slice(1)))).toEqual([
    expect.objectContaining({ field: 'places', message: 'No place takes covers that are “to cut”.' }),
  ]);
  expect(
    faultsOf(await room.savePlaces([...places, { key: 'b', name: 'bench', states: ['cut'] }]))[0]!.message,
  ).toContain('this name already');
});

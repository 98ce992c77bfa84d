import { randomUUID } from 'node:crypto';
import { asc, eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { KINDS } from '@/core/covers';
import { proposeFields, sheetFields } from '@/core/files/order-sheet';
import { schema } from '@/db';
import { approveBatch, createBatch, deleteBatch, makeLays, removeLine } from '@/features/batches/actions';
import { deleteCloth } from '@/features/cloth/actions';
import { copyOrder, deleteOrder, restoreOrder, saveOrder } from '@/features/orders/actions';
import { importSheet } from '@/features/orders/import';
import { getOrder } from '@/features/orders/queries';
import { addPerson, removePerson } from '@/features/people/actions';
import { listPeople } from '@/features/people/queries';
import { lineForm, orderForm } from '../support/forms';
import { faultsOf, value, cloth, db, inWorkroom } from '../support/workroom';

inWorkroom();
beforeEach(async () => {
  await db.delete(schema.auditEntries);
});

/** Puts somebody at the device, as the cookie would. */
const atDevice = (id: number | null) => {
  (globalThis as { testCookies?: object }).testCookies =
    id === null ? {} : { 'jolly-bolt-person': { value: String(id) } };
};
afterEach(() => atDevice(null));

const newOrder = async (requestId?: string) => value(await saveOrder(orderForm([lineForm(cloth)]), null, requestId)).id;
const orders = async () => (await db.select().from(schema.orders)).length;
const entries = () => db.select().from(schema.auditEntries).orderBy(asc(schema.auditEntries.id));

describe('the same request twice', () => {
  test('does nothing twice, one after the other or at once, and gets the same answer', async () => {
    const id = randomUUID();
    const first = await newOrder(id);
    const again = await Promise.all([newOrder(id), newOrder(id), newOrder(id)]);
    expect(again).toEqual([first, first, first]);
    expect(await orders()).toBe(1);
    const atOnce = randomUUID();
    const made = await Promise.all(Array.from({ length: 6 }, () => newOrder(atOnce)));
    expect(new Set(made).size).toBe(1);
    expect(await orders()).toBe(2);
  });

  test('with another content is refused, and nothing is kept', async () => {
    const id = randomUUID();
    await newOrder(id);
    const other = await saveOrder(orderForm([lineForm(cloth)], { notes: 'other' }), null, id);
    expect(faultsOf(other)[0]!.message).toMatch(/sent before with other contents/);
    expect(await orders()).toBe(1);
  });

  test('after a refusal it may be sent again', async () => {
    const id = randomUUID();
    const refused = await saveOrder(orderForm([lineForm(cloth, { qty: '0' })]), null, id);
    expect(refused.ok).toBe(false);
    await newOrder(id);
    expect(await orders()).toBe(1);
  });

  test('of a sheet with orders brings them in once', async () => {
    const sheet = {
      columns: ['Customer', 'Kind', 'How many', 'Width', 'Height', 'Cloth', 'Units'],
      rows: [['Lock Cottage', 'Envelope cushion', '2', '16', '16', 'Test reed', 'in']],
    };
    const fields = proposeFields(sheet.columns, sheetFields(KINDS));
    const id = randomUUID();
    const twice = [
      value(await importSheet({ sheet, fields, isPartial: false }, undefined, id)),
      value(await importSheet({ sheet, fields, isPartial: false }, undefined, id)),
    ];
    expect(twice).toEqual([
      { orders: 1, lines: 1 },
      { orders: 1, lines: 1 },
    ]);
    expect(await orders()).toBe(1);
  });

  test('an id that is no UUID counts as none', async () => {
    await newOrder('1; DROP TABLE orders');
    await newOrder('1; DROP TABLE orders');
    expect(await orders()).toBe(2);
  });
});

describe('the audit', () => {
  test('says who changed what, when, from what to what', async () => {
    const ada = value(await addPerson('Ada Weir')).id;
    atDevice(ada);
    const id = await newOrder();
    const seen = (await getOrder(id))!;
    value(await saveOrder({ ...seen.form, notes: 'by the stern' }, { id, version: seen.version }));
    atDevice(null);
    value(await deleteOrder(id));
    value(await restoreOrder(id));
    const found = (await entries()).filter(({ subject }) => subject === 'order');
    expect(found.map(({ command, personId, subjectId }) => [command, personId, subjectId])).toEqual([
      ['save order', ada, id],
      ['save order', ada, id],
      ['delete order', null, id],
      ['restore order', null, id],
    ]);
    const [made, edited, deleted] = found as unknown as { before: Stored; after: Stored; at: Date }[];
    expect(made!.before).toBeNull();
    expect(made!.after).toMatchObject({ notes: '', lines: [{ qty: 3 }] });
    expect([edited!.before!.notes, edited!.after!.notes]).toEqual(['', 'by the stern']);
    expect([deleted!.before!.deletedAt, typeof deleted!.after!.deletedAt]).toEqual([null, 'string']);
    expect(Math.abs(made!.at.getTime() - Date.now())).toBeLessThan(60_000);
  });

  test('holds nothing of what was refused or rolled back', async () => {
    const before = (await entries()).length;
    await saveOrder(orderForm([lineForm(cloth, { qty: 'many' })]), null);
    await deleteOrder(4711);
    await restoreOrder(4711);
    await approveBatch(4711, 1);
    expect((await entries()).length).toBe(before);
  });

  test('has an entry for every command that was kept', async () => {
    const order = await newOrder();
    const [line] = await db.select().from(schema.orderLines).where(eq(schema.orderLines.orderId, order));
    const { id } = value(await createBatch({ name: 'A', lineIds: [line!.id] }));
    value(await makeLays(id, 1));
    value(await removeLine(id, line!.id));
    value(await deleteBatch(id));
    value(await copyOrder(order));
    expect((await entries()).map(({ command }) => command)).toEqual([
      'save order',
      'make batch',
      'make lays',
      'take line out of batch',
      'delete batch',
      'copy order',
    ]);
    expect(faultsOf(await deleteCloth(cloth))[0]!.code).toBe('in-use');
  });
});

interface Stored {
  notes: string;
  deletedAt: string | null;
  lines: object[];
}

describe('people', () => {
  test('have initials and colours of their own, and leave without taking their entries with them', async () => {
    const ada = value(await addPerson('Ada Weir'));
    const ben = value(await addPerson('  Ben  '));
    expect([ada.initials, ben.initials, ben.name]).toEqual(['AW', 'BE', 'Ben']);
    expect(ada.colour).not.toBe(ben.colour);
    atDevice(ada.id);
    await newOrder();
    value(await removePerson(ada.id));
    expect((await listPeople()).map(({ name }) => name)).toEqual(['Ben']);
    expect((await entries()).some(({ personId, command }) => command === 'save order' && personId === ada.id)).toBe(
      true,
    );
    // Whoever has left is at no device any more; the name may come back.
    await newOrder();
    expect((await entries()).at(-1)!.personId).toBeNull();
    expect(value(await addPerson('ada weir')).id).toBe(ada.id);
  });

  test('of the same name, without one, or with one that no database keeps, are refused at the field', async () => {
    value(await addPerson('Ada'));
    for (const name of ['ADA', '', '   ', 'x'.repeat(61), 'A\u0000'])
      expect(faultsOf(await addPerson(name))[0]!.field).toBe('name');
    expect(faultsOf(await removePerson(4711))[0]!.code).toBe('gone');
    expect(faultsOf(await removePerson(1.5))[0]!.code).toBe('gone');
  });
});

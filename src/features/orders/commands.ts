import 'server-only';

import { isDeepStrictEqual } from 'node:util';
import { and, eq, inArray, isNotNull, max, sql } from 'drizzle-orm';
import Joi from 'joi';
import { markOf } from '@/core/cutlist';
import type { Fault } from '@/core/result';
import { schema, type Transaction } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import { done, failed, gone, staleAnswer, type Answer, type Saved } from '@/features/commands/answer';
import { lockOrder, type LockedBatch } from '@/features/batches/lock';
import { reopenBatches } from '@/features/batches/reopen';
import { canChangeLine, isFrozen, lineStateOf } from '@/core/batch';
import { byRules, type Command } from '@/features/commands/perform';
import type { CommandContext } from '@/features/commands/context';
import { usualDue } from '@/features/workroom/form';
import { loadRules } from '@/features/workroom/settings';
import { isId } from '@/features/commands/ids';
import { editedRecord, recordId, type Edited } from '@/features/commands/record-id';
import { acceptLine, type AcceptedLine } from './accept';
import type { LineForm, OrderForm } from './form';
import { frozenFaults } from './frozen-lines';
import { loadOrders } from './load-orders';
import { FIRST_NO, NUMBER_LOCK } from './numbers';

import { readOrderForm } from './rules';
import { columnsOf, replaceLine, saveLines, valuesOf } from './save-lines';

const isOfOrder = byRules(editedRecord('order'));
const byId = byRules(Joi.object<{ id: number }>({ id: recordId('order') }));

/** Saves a new order, or an edit of the version that the person saw. */
export const saveOrder: Command<{ form: OrderForm; edited: Edited | null }, Saved> = {
  name: 'save order',
  read: (input) => {
    const { form, edited } = input as { form: unknown; edited: unknown };
    const read = readOrderForm(form);
    if ('faults' in read) return read;
    const which = isOfOrder(edited);
    return 'faults' in which ? which : { value: { form: read.value, edited: which.value } };
  },
  run: (context, { form, edited }) => (edited ? update(context, edited, form) : insert(context, form)),
};

/** A line of the form that is to be written, with its place in the form. */
interface Checked {
  index: number;
  line: AcceptedLine;
}

/** Takes the lines of a form off, so that nothing is saved that can't be cut; `isKept` says which stay as they are stored. */
async function checkLines(
  tx: Transaction,
  form: OrderForm,
  isKept: (line: LineForm) => boolean = () => false,
): Promise<{ lines: Checked[] } | { faults: Fault[] }> {
  const open = form.lines.flatMap((line, index) => (isKept(line) ? [] : [{ line, index }]));
  const ids = [...new Set(open.flatMap(({ line: { cloth } }) => Object.values(cloth).filter(Boolean).map(Number)))];
  const rows = ids.length
    ? await tx
        .select()
        .from(schema.cloths)
        .where(inArray(schema.cloths.id, ids.filter(isId)))
    : [];
  const named = [
    ...new Set(open.flatMap(({ line: { notions } }) => Object.values(notions).filter(Boolean).map(Number))),
  ];
  const materials = named.length
    ? await tx
        .select({ id: schema.materials.id })
        .from(schema.materials)
        .where(inArray(schema.materials.id, named.filter(isId)))
    : [];
  const room = {
    kinds: await loadKindBook(tx),
    cloths: new Map(rows.map((row) => [String(row.id), toCloth(row)])),
    notions: new Set(materials.map(({ id }) => String(id))),
  };
  const faults: Fault[] = [];
  const lines = open.flatMap(({ line, index }): Checked[] => {
    const accepted = acceptLine(line, form.units, room);
    if ('line' in accepted) return [{ index, line: accepted.line }];
    faults.push(...accepted.faults.map((fault) => ({ ...fault, field: `lines.${index}.${fault.field}` })));
    return [];
  });
  return faults.length > 0 ? { faults } : { lines };
}

async function insert({ tx, made, now, person }: CommandContext, form: OrderForm): Promise<Answer<Saved>> {
  const checked = await checkLines(tx, form);
  if ('faults' in checked) return { ok: false, faults: checked.faults };
  await tx.execute(sql`SELECT pg_advisory_xact_lock(${NUMBER_LOCK})`);
  const [last] = await tx.select({ no: max(schema.orders.no) }).from(schema.orders);
  const no = Math.max(FIRST_NO - 1, last?.no ?? 0) + 1;
  const [order] = await tx
    .insert(schema.orders)
    .values({
      no,
      mark: markOf(no),
      customerId: await customerId(tx, form.customer),
      due: form.due,
      units: form.units,
      notes: form.notes,
    })
    .returning({ id: schema.orders.id, version: schema.orders.version });
  await saveLines(
    tx,
    checked.lines.map(({ line }, i) => ({ orderId: order!.id, position: i + 1, line })),
  );
  await keepPromise({ tx, now, person }, order!.id, form);
  made('order', order!.id);
  return done({ ...order!, reopened: [] });
}

/** Writes down the day that an order is promised for, with what the plan said then. */
const keepPromise = (
  { tx, now, person }: Pick<CommandContext, 'tx' | 'now' | 'person'>,
  orderId: number,
  { due, promise }: OrderForm,
) =>
  tx.insert(schema.promises).values({
    orderId,
    day: due,
    readyDay: promise?.ready ?? null,
    safeDay: promise?.safe ?? null,
    why: promise && promise.safe !== null && due < promise.safe ? promise.why.trim() : '',
    personId: person?.id ?? null,
    at: now,
  });

async function update(context: CommandContext, { id, version }: Edited, form: OrderForm): Promise<Answer<Saved>> {
  const { tx, now, changes } = context;
  const { batches, order: stored } = await lockOrder(tx, id);
  if (!stored || stored.deletedAt)
    return failed(
      '',
      'This order has been deleted meanwhile. What you typed is still here; copy it into a new order.',
      'gone',
    );
  if (stored.version !== version) return staleAnswer('order', stored.version, stored.updatedAt);
  const before = await tx.select().from(schema.orderLines).where(eq(schema.orderLines.orderId, id));
  const frozen = frozenLines(before, batches);
  const kept = new Set(form.lines.map((line) => line.id));
  const removed = before.filter((line) => !kept.has(line.id));
  if (removed.some((line) => frozen.has(line.id)))
    return failed('', 'A line that is in an approved batch can’t be removed.', 'frozen');
  if (frozen.size > 0 && stored.units !== form.units)
    return failed(
      'units',
      'A line of this order is in an approved batch, so its units stay as they are. Write the unit behind a length instead: 12 in, 30 cm.',
      'frozen',
    );
  const conflicts = frozen.size > 0 ? await conflictsOf(tx, id, form) : [];
  if (conflicts.length > 0) return { ok: false, faults: conflicts };
  const checked = await checkLines(tx, form, (line) => line.id !== null && frozen.has(line.id));
  if ('faults' in checked) return { ok: false, faults: checked.faults };
  await changes('order', id);
  if (removed.length > 0)
    await tx.delete(schema.orderLines).where(
      inArray(
        schema.orderLines.id,
        removed.map((line) => line.id),
      ),
    );

  const changed = await changedLines(tx, checked.lines, before);
  let position = Math.max(0, ...before.map((line) => line.position));
  const isStored = ({ form: { id: lineId } }: AcceptedLine) => before.some((line) => line.id === lineId);
  const fresh = checked.lines.filter(({ line }) => !isStored(line));
  await saveLines(
    tx,
    fresh.map(({ line }) => ({ orderId: id, position: ++position, line })),
  );
  for (const { line } of checked.lines)
    if (line.form.id !== null && changed.has(line.form.id)) await replaceLine(tx, line.form.id, line);
  // Fields that change no cut leave the lays as they are.
  const cutAnew = before.filter((line) => changed.has(line.id) || !kept.has(line.id));
  const reopened = await reopenBatches(
    tx,
    [...new Set(cutAnew.flatMap((line) => line.batchId ?? []))],
    `Order ${stored.no} has changed`,
  );
  const [saved] = await tx
    .update(schema.orders)
    .set({
      customerId: await customerId(tx, form.customer),
      due: form.due,
      units: form.units,
      notes: form.notes,
      version: version + 1,
      updatedAt: now,
    })
    .where(eq(schema.orders.id, id))
    .returning({ id: schema.orders.id, version: schema.orders.version });
  if (stored.due !== form.due) await keepPromise(context, id, form);
  return done({ ...saved!, reopened });
}

type StoredLine = typeof schema.orderLines.$inferSelect;

/** The ids of lines that are in an approved batch, as the database has it. */
function frozenLines(lines: readonly StoredLine[], batches: readonly LockedBatch[]): Set<number> {
  const states = new Map(batches.map(({ id, status }) => [id, status]));
  const mayChange = (batchId: number | null) =>
    canChangeLine(lineStateOf(batchId === null ? null : (states.get(batchId) ?? null)));
  return new Set(lines.flatMap(({ id, batchId }) => (mayChange(batchId) ? [] : [id])));
}

/** The changes of a form in lines that an approved batch holds, each fault at its field. */
async function conflictsOf(tx: Transaction, id: number, form: OrderForm): Promise<Fault[]> {
  const [stored] = await loadOrders(tx, [id]);
  const kinds = await loadKindBook(tx);
  return form.lines.flatMap((line, index) => {
    const before = stored?.form.lines.find((one) => one.id === line.id);
    if (!before?.frozenBy) return [];
    return frozenFaults(before, line, { batch: before.frozenBy, units: form.units, kinds }).map((fault) => ({
      ...fault,
      field: `lines.${index}.${fault.field}`,
    }));
  });
}

/** The customer of that name, whatever its capitals; made when it is new. */
async function customerId(tx: Transaction, name: string): Promise<number> {
  const named = sql`lower(${schema.customers.name}) = lower(${name})`;
  await tx.insert(schema.customers).values({ name }).onConflictDoNothing();
  const [customer] = await tx.select({ id: schema.customers.id }).from(schema.customers).where(named);
  return customer!.id;
}

/** The ids of those of the stored lines that a form has otherwise than they are. */
async function changedLines(
  tx: Transaction,
  lines: readonly Checked[],
  stored: readonly StoredLine[],
): Promise<Set<number>> {
  const ids = stored.map(({ id }) => id);
  if (ids.length === 0) return new Set();
  const values = await tx.select().from(schema.lineValues).where(inArray(schema.lineValues.lineId, ids));
  const parts = await tx.select().from(schema.lineParts).where(inArray(schema.lineParts.lineId, ids));
  const cloths = await tx.select().from(schema.lineCloths).where(inArray(schema.lineCloths.lineId, ids));
  const notions = await tx.select().from(schema.lineMaterials).where(inArray(schema.lineMaterials.lineId, ids));
  const of = <Row extends { lineId: number }>(rows: readonly Row[], id: number) =>
    rows.filter(({ lineId }) => lineId === id).map(({ lineId: _, ...rest }) => rest);
  const inOrder = (rows: readonly object[]) => rows.map((row) => JSON.stringify(Object.entries(row).sort())).sort();
  const isSame = (line: AcceptedLine, { id, orderId: _, position: __, batchId: ___, ...columns }: StoredLine) => {
    const now = valuesOf(line);
    return (
      isDeepStrictEqual(columnsOf(line), columns) &&
      isDeepStrictEqual(inOrder(now.values), inOrder(of(values, id))) &&
      isDeepStrictEqual(inOrder(now.parts), inOrder(of(parts, id))) &&
      isDeepStrictEqual(inOrder(now.cloths), inOrder(of(cloths, id))) &&
      isDeepStrictEqual(inOrder(now.notions), inOrder(of(notions, id)))
    );
  };
  return new Set(
    stored.flatMap((row) => {
      const found = lines.find(({ line }) => line.form.id === row.id);
      return found && !isSame(found.line, row) ? [row.id] : [];
    }),
  );
}

/** Copies an order with all its lines as a new, waiting one, due when the workroom usually promises one that comes today. */
export const copyOrder: Command<{ id: number }, { id: number }> = {
  name: 'copy order',
  read: byId,
  run: async (context, { id }) => {
    const [source] = await loadOrders(context.tx, [id]);
    if (!source || source.isDeleted) return gone('order');
    const due = usualDue(await loadRules(context.tx));
    const lines = source.form.lines.map(({ frozenBy: _, ...line }) => ({ ...line, id: null }));
    const read = saveOrder.read({ form: { ...source.form, due, lines }, edited: null });
    return 'faults' in read ? { ok: false, faults: read.faults } : saveOrder.run(context, read.value);
  },
};

/** Deletes an order so that it can be brought back; its lines leave batches that are not approved yet. */
export const deleteOrder: Command<{ id: number }, { no: number; reopened: string[] }> = {
  name: 'delete order',
  read: byId,
  run: async ({ tx, now, changes }, { id }) => {
    const { batches, order } = await lockOrder(tx, id);
    if (!order || order.deletedAt) return gone('order');
    const approved = batches.find(isFrozen);
    if (approved)
      return failed(
        '',
        `This order is part of the approved batch “${approved.name}” and is kept for the record.`,
        'frozen',
      );
    await changes('order', id);
    await tx
      .update(schema.orders)
      .set({ deletedAt: now, version: order.version + 1 })
      .where(eq(schema.orders.id, id));
    const ids = batches.map((batch) => batch.id);
    const reopened = await reopenBatches(tx, ids, `Order ${order.no} has been deleted`);
    await tx.update(schema.orderLines).set({ batchId: null }).where(eq(schema.orderLines.orderId, id));
    return done({ no: order.no, reopened });
  },
};

/** Brings a deleted order back, as a waiting one. */
export const restoreOrder: Command<{ id: number }, { no: number }> = {
  name: 'restore order',
  read: byId,
  run: async ({ tx, changes }, { id }) => {
    await tx.select({ id: schema.orders.id }).from(schema.orders).where(eq(schema.orders.id, id)).for('update');
    await changes('order', id);
    const [order] = await tx
      .update(schema.orders)
      .set({ deletedAt: null, version: sql`${schema.orders.version} + 1` })
      .where(and(eq(schema.orders.id, id), isNotNull(schema.orders.deletedAt)))
      .returning({ no: schema.orders.no });
    return order ? done(order) : gone('order');
  },
};

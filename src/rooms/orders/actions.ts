'use server';

import { isDeepStrictEqual } from 'node:util';
import { and, eq, inArray, isNotNull, isNull, max, sql } from 'drizzle-orm';
import { revalidatePath } from 'next/cache';
import type { CoverKind } from '@/core/covers';
import { cutList, markOf, type OrderLine } from '@/core/cutlist';
import type { Fault } from '@/core/result';
import { database, schema, type Transaction } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import { answering, done, failed, staleAnswer, type Answer, type Saved } from '@/rooms/answer';
import { reopenBatches } from '@/rooms/batches/reopen';
import { usualDue } from '@/rooms/house/form';
import { houseRules } from '@/rooms/house/queries';
import { readLineForm, toFormField, type LineForm, type OrderForm, type TypedLength } from './form';
import { FIRST_NO, NUMBER_LOCK } from './numbers';
import { readOrderForm } from './rules';

interface ReadyLine {
  form: LineForm;
  kind: CoverKind;
  outline: OrderLine['outline'];
  lengths: TypedLength[];
}

/** Saves a new order, or an edit of the version that the person saw. All in one transaction. */
export async function saveOrder(
  input: unknown,
  edited: { id: number; version: number } | null,
): Promise<Answer<Saved>> {
  return answering(async () => {
    const read = readOrderForm(input);
    if ('faults' in read) return { ok: false, faults: read.faults };
    const checked = await checkLines(read.value);
    if ('faults' in checked) return { ok: false, faults: checked.faults };
    const answer = await database().transaction((tx) =>
      edited ? update(tx, edited, read.value, checked.lines) : insert(tx, read.value, checked.lines),
    );
    if (answer.ok) revalidatePath('/', 'layout');
    return answer;
  });
}

/** Reads what was typed on every line and takes it off once, so that nothing is saved that can't be cut. */
async function checkLines(form: OrderForm): Promise<{ lines: ReadyLine[] } | { faults: Fault[] }> {
  const faults: Fault[] = [];
  const ids = [...new Set(form.lines.flatMap(({ cloth }) => Object.values(cloth).filter(Boolean).map(Number)))];
  const rows = ids.length ? await database().select().from(schema.cloths).where(inArray(schema.cloths.id, ids)) : [];
  const kinds = await loadKindBook(database());
  const room = { kinds, cloths: new Map(rows.map((row) => [String(row.id), toCloth(row)])) };
  const lines = form.lines.map((line, i): ReadyLine => {
    const kind = kinds.find(line.kind, line.kindVersion);
    const read = readLineForm(line, form.units, '1', kinds);
    const list = read.faults.length === 0 ? cutList([read.line], form.units, room) : null;
    const found = list && !list.ok ? list.faults.map((fault) => toFormField(fault, kind)) : read.faults;
    const stops = list?.ok
      ? list.value.warnings
          .filter(({ level }) => level === 'stop')
          .map((warning) => ({ ...warning, field: `typed.${warning.field}` }))
      : [];
    if (!line.frozenBy)
      faults.push(
        ...[...found, ...stops].map(({ code, field, message }) => ({ code, message, field: `lines.${i}.${field}` })),
      );
    return { form: line, kind: kind!, outline: read.line.outline, lengths: read.lengths };
  });
  form.lines.forEach(({ cloth }, i) => {
    for (const [role, id] of Object.entries(cloth)) {
      if (id && !rows.some((one) => one.id === Number(id)))
        faults.push({
          code: 'cloth-unknown',
          field: `lines.${i}.cloth.${role}`,
          message: 'This cloth is no longer kept; choose another.',
        });
    }
  });
  return faults.length > 0 ? { faults } : { lines };
}

async function insert(tx: Transaction, form: OrderForm, lines: ReadyLine[]): Promise<Answer<Saved>> {
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
  for (const [i, line] of lines.entries()) await insertLine(tx, order!.id, i + 1, line);
  return done({ ...order!, reopened: [] });
}

async function update(
  tx: Transaction,
  { id, version }: { id: number; version: number },
  form: OrderForm,
  lines: ReadyLine[],
): Promise<Answer<Saved>> {
  const [stored] = await tx.select().from(schema.orders).where(eq(schema.orders.id, id)).for('update');
  if (!stored || stored.deletedAt)
    return failed(
      '',
      'This order has been deleted meanwhile. What you typed is still here; copy it into a new order.',
      'gone',
    );
  if (stored.version !== version) return staleAnswer('order', stored.version, stored.updatedAt);
  const before = await tx
    .select({ line: schema.orderLines, status: schema.batches.status })
    .from(schema.orderLines)
    .leftJoin(schema.batches, eq(schema.batches.id, schema.orderLines.batchId))
    .where(eq(schema.orderLines.orderId, id));
  const isFrozen = (status: string | null) => status === 'approved' || status === 'cut';
  const kept = new Set(lines.map(({ form: line }) => line.id));
  const removed = before.filter(({ line }) => !kept.has(line.id));
  if (removed.some(({ status }) => isFrozen(status)))
    return failed('', 'A line that is in an approved batch can’t be removed.', 'frozen');
  if (removed.length > 0)
    await tx.delete(schema.orderLines).where(
      inArray(
        schema.orderLines.id,
        removed.map(({ line }) => line.id),
      ),
    );

  const changed = await changedLines(tx, lines, before.map(({ line }) => line)); // prettier-ignore
  let position = Math.max(0, ...before.map(({ line }) => line.position));
  for (const ready of lines) {
    const old = before.find(({ line }) => line.id === ready.form.id);
    if (!old) await insertLine(tx, id, ++position, ready);
    else if (changed.has(old.line.id) && !isFrozen(old.status)) await updateLine(tx, old.line.id, ready);
  }
  // What a batch cuts of the order may stay as it was: then its lays do.
  const cutAnew = before.filter(
    ({ line }) => stored.units !== form.units || changed.has(line.id) || !kept.has(line.id),
  );
  const reopened = await reopenBatches(
    tx,
    [...new Set(cutAnew.flatMap(({ line }) => line.batchId ?? []))],
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
      updatedAt: new Date(),
    })
    .where(eq(schema.orders.id, id))
    .returning({ id: schema.orders.id, version: schema.orders.version });
  return done({ ...saved!, reopened });
}

/** The customer of that name, whatever its capitals; made when it is new. */
async function customerId(tx: Transaction, name: string): Promise<number> {
  const named = sql`lower(${schema.customers.name}) = lower(${name})`;
  await tx.insert(schema.customers).values({ name }).onConflictDoNothing();
  const [customer] = await tx.select({ id: schema.customers.id }).from(schema.customers).where(named);
  return customer!.id;
}

const columnsOf = ({ form, kind, outline }: ReadyLine) => ({
  kind: form.kind,
  kindVersion: kind.version,
  qty: Number(form.qty),
  fit: form.fit,
  measuredAs: form.measuredAs,
  matching: form.matching,
  outline: outline ? { typed: form.outline, corners: outline } : null,
});

async function insertLine(tx: Transaction, orderId: number, position: number, line: ReadyLine) {
  const [row] = await tx
    .insert(schema.orderLines)
    .values({ orderId, position, ...columnsOf(line) })
    .returning({ id: schema.orderLines.id });
  await insertValues(tx, row!.id, line);
}

async function updateLine(tx: Transaction, lineId: number, line: ReadyLine) {
  await tx.update(schema.orderLines).set(columnsOf(line)).where(eq(schema.orderLines.id, lineId));
  await tx.delete(schema.lineValues).where(eq(schema.lineValues.lineId, lineId));
  await tx.delete(schema.lineCloths).where(eq(schema.lineCloths.lineId, lineId));
  await tx.delete(schema.lineParts).where(eq(schema.lineParts.lineId, lineId));
  await insertValues(tx, lineId, line);
}

/** What is kept of a line beside its own row. */
function valuesOf({ form, kind, lengths }: ReadyLine) {
  const choices = Object.entries(form.choices).filter(
    ([name, choice]) =>
      choice && kind.options.some(({ id, type }) => id === name && (type === 'choice' || type === 'count')),
  );
  const parts = [...new Set([...Object.keys(form.directions), ...Object.keys(form.panels)])];
  return {
    values: [
      ...lengths.map(({ name, part, isMeasure, nm, typed }) => ({ name, part, isMeasure, valueNm: nm, typed, choice: null })), // prettier-ignore
      ...choices.map(([name, choice]) => ({ name, part: 0, isMeasure: false, valueNm: null, typed: '', choice })),
    ],
    parts: parts.map((part) => ({
      part,
      direction: form.directions[part] ?? null,
      wide: form.panels[part] ?? null,
    })),
    cloths: Object.entries(form.cloth)
      .filter(([, id]) => id)
      .map(([role, id]) => ({ role: role as 'face', clothId: Number(id) })),
  };
}

async function insertValues(tx: Transaction, lineId: number, line: ReadyLine) {
  const { values, parts, cloths } = valuesOf(line);
  if (values.length > 0) await tx.insert(schema.lineValues).values(values.map((one) => ({ lineId, ...one })));
  if (parts.length > 0) await tx.insert(schema.lineParts).values(parts.map((one) => ({ lineId, ...one })));
  if (cloths.length > 0) await tx.insert(schema.lineCloths).values(cloths.map((one) => ({ lineId, ...one })));
}

/** The ids of those of the stored lines that a form has otherwise than they are. */
async function changedLines(
  tx: Transaction,
  lines: readonly ReadyLine[],
  stored: readonly (typeof schema.orderLines.$inferSelect)[],
): Promise<Set<number>> {
  const ids = stored.map(({ id }) => id);
  if (ids.length === 0) return new Set();
  const values = await tx.select().from(schema.lineValues).where(inArray(schema.lineValues.lineId, ids));
  const parts = await tx.select().from(schema.lineParts).where(inArray(schema.lineParts.lineId, ids));
  const cloths = await tx.select().from(schema.lineCloths).where(inArray(schema.lineCloths.lineId, ids));
  const of = <Row extends { lineId: number }>(rows: readonly Row[], id: number) =>
    rows.filter(({ lineId }) => lineId === id).map(({ lineId: _, ...rest }) => rest);
  const inOrder = (rows: readonly object[]) => rows.map((row) => JSON.stringify(Object.entries(row).sort())).sort();
  const isSame = (
    ready: ReadyLine,
    { id, orderId: _, position: __, batchId: ___, ...columns }: (typeof stored)[number],
  ) => {
    const now = valuesOf(ready);
    return (
      isDeepStrictEqual(columnsOf(ready), columns) &&
      isDeepStrictEqual(inOrder(now.values), inOrder(of(values, id))) &&
      isDeepStrictEqual(inOrder(now.parts), inOrder(of(parts, id))) &&
      isDeepStrictEqual(inOrder(now.cloths), inOrder(of(cloths, id)))
    );
  };
  return new Set(
    stored.flatMap((line) => {
      const ready = lines.find(({ form }) => form.id === line.id);
      return ready && !isSame(ready, line) ? [line.id] : [];
    }),
  );
}

/** Copies an order with all its lines as a new, waiting one, due when the house usually promises one that comes today. */
export async function copyOrder(id: number): Promise<Answer<{ id: number }>> {
  return answering(async () => {
    const { getOrder } = await import('./queries');
    const source = await getOrder(id);
    if (!source || source.isDeleted) return failed('', 'This order is no longer there.', 'gone');
    const due = usualDue(await houseRules());
    const lines = source.form.lines.map(({ frozenBy: _, ...line }) => ({ ...line, id: null }));
    return saveOrder({ ...source.form, due, lines }, null);
  });
}

/** Deletes an order so that it can be brought back; its lines leave batches that are not approved yet. */
export async function deleteOrder(id: number): Promise<Answer<{ no: number; reopened: string[] }>> {
  return answering(async () => {
    const answer = await database().transaction(async (tx): Promise<Answer<{ no: number; reopened: string[] }>> => {
      const lines = await tx
        .select({ batchId: schema.orderLines.batchId, status: schema.batches.status, name: schema.batches.name })
        .from(schema.orderLines)
        .innerJoin(schema.batches, eq(schema.batches.id, schema.orderLines.batchId))
        .where(eq(schema.orderLines.orderId, id));
      const approved = lines.find(({ status }) => status === 'approved' || status === 'cut');
      if (approved)
        return failed(
          '',
          `This order is part of the approved batch “${approved.name}” and is kept for the record.`,
          'frozen',
        );
      const [order] = await tx
        .update(schema.orders)
        .set({ deletedAt: new Date(), version: sql`${schema.orders.version} + 1` })
        .where(and(eq(schema.orders.id, id), isNull(schema.orders.deletedAt)))
        .returning({ no: schema.orders.no });
      if (!order) return failed('', 'This order is no longer there.', 'gone');
      const ids = [...new Set(lines.map(({ batchId }) => batchId!))];
      const reopened = await reopenBatches(tx, ids, `Order ${order.no} has been deleted`);
      await tx.update(schema.orderLines).set({ batchId: null }).where(eq(schema.orderLines.orderId, id));
      return done({ ...order, reopened });
    });
    if (answer.ok) revalidatePath('/', 'layout');
    return answer;
  });
}

/** Brings a deleted order back, as a waiting one. */
export async function restoreOrder(id: number): Promise<Answer<{ no: number }>> {
  return answering(async () => {
    const [order] = await database()
      .update(schema.orders)
      .set({ deletedAt: null, version: sql`${schema.orders.version} + 1` })
      .where(and(eq(schema.orders.id, id), isNotNull(schema.orders.deletedAt)))
      .returning({ no: schema.orders.no });
    if (!order) return failed('', 'This order is no longer there.', 'gone');
    revalidatePath('/', 'layout');
    return done(order);
  });
}

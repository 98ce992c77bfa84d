import 'server-only';
import { getTableColumns, max, sql } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import { revalidatePath } from 'next/cache';
import { markOf } from '@/core/cutlist';
import type { Sheet } from '@/core/files';
import { database, schema, type Transaction } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import { answering, done, failed, type Answer } from '@/rooms/answer';
import { usualDue } from '@/rooms/house/form';
import { houseRules } from '@/rooms/house/queries';
import { FIRST_NO, NUMBER_LOCK } from './numbers';
import { readLineForm } from './form';
import { checkSheet, type SheetOrder, type SheetRoom } from './sheet';

class Cancelled extends Error {}

/** What a sheet is checked against. */
export async function sheetRoom(): Promise<SheetRoom> {
  const db = database();
  const [kinds, house, rows] = await Promise.all([loadKindBook(db), houseRules(), db.select().from(schema.cloths)]);
  return {
    kinds,
    house,
    cloths: new Map(rows.map((row) => [String(row.id), toCloth(row)])),
    clothIds: new Map(rows.map(({ id, name }) => [name.toLowerCase(), String(id)])),
    usualDue: usualDue(house),
  };
}

/** Brings the good rows of a sheet in as orders, all of them in one transaction or, when it is called off, none. */
export async function importSheet(
  sheet: Sheet,
  fields: readonly string[],
  signal?: AbortSignal,
): Promise<Answer<{ orders: number; lines: number }>> {
  return answering(async () => {
    const room = await sheetRoom();
    const { orders, goodRows } = checkSheet(sheet, fields, room);
    if (orders.length === 0) return failed('', 'No row of the sheet can be brought in.');
    try {
      await database().transaction((tx) => insertAll(tx, orders, room, signal));
    } catch (error) {
      if (error instanceof Cancelled)
        return failed('', 'The import was called off; nothing was brought in.', 'cancelled');
      throw error;
    }
    revalidatePath('/', 'layout');
    return done({ orders: orders.length, lines: goodRows });
  });
}

/** Rows that one statement inserts. */
const CHUNK = 2000;

function* chunks<T>(all: readonly T[], size = CHUNK): Generator<T[]> {
  for (let i = 0; i < all.length; i += size) yield all.slice(i, i + size);
}

/**
 * Inserts rows of the same columns as one JSON parameter: many times faster than a parameter a value.
 * Returns the new rows' ids in their order, where the table has one.
 */
async function insertRows<T extends PgTable>(
  tx: Transaction,
  table: T,
  rows: (T['$inferInsert'] & Record<string, unknown>)[],
): Promise<number[]> {
  const all = getTableColumns(table) as Record<string, PgColumn>;
  const columns = Object.entries(all).filter(([key]) => rows[0] && key in rows[0]);
  const names = sql.join(
    columns.map(([, { name }]) => sql.identifier(name)),
    sql`, `,
  );
  const types = sql.join(
    columns.map(([, column]) => sql`${sql.identifier(column.name)} ${sql.raw(column.getSQLType())}`),
    sql`, `,
  );
  const data = JSON.stringify(
    rows.map((row) => Object.fromEntries(columns.map(([key, { name }]) => [name, row[key] ?? null]))),
  );
  const returning = all.id ? sql` RETURNING id` : sql``;
  const result = await tx.execute<{ id: number }>(
    sql`INSERT INTO ${table} (${names}) SELECT ${names} FROM jsonb_to_recordset(${data}::jsonb) AS given (${types})${returning}`,
  );
  return result.rows.map(({ id }) => id);
}

async function insertAll(tx: Transaction, orders: readonly SheetOrder[], room: SheetRoom, signal?: AbortSignal) {
  const goOn = () => {
    if (signal?.aborted) throw new Cancelled();
  };
  await tx.execute(sql`SELECT pg_advisory_xact_lock(${NUMBER_LOCK})`);
  const names = [...new Map(orders.map(({ form }) => [form.customer.toLowerCase(), form.customer])).values()];
  for (const some of chunks(names))
    await tx
      .insert(schema.customers)
      .values(some.map((name) => ({ name })))
      .onConflictDoNothing();
  const known = await tx.select({ id: schema.customers.id, name: schema.customers.name }).from(schema.customers);
  const customers = new Map(known.map(({ id, name }) => [name.toLowerCase(), id]));
  const [last] = await tx.select({ no: max(schema.orders.no) }).from(schema.orders);
  const firstNo = Math.max(FIRST_NO - 1, last?.no ?? 0) + 1;

  const ids: number[] = [];
  for (const some of chunks(orders)) {
    goOn();
    const more = await insertRows(
      tx,
      schema.orders,
      some.map(({ form }, i) => ({
        no: firstNo + ids.length + i,
        mark: markOf(firstNo + ids.length + i),
        customerId: customers.get(form.customer.toLowerCase())!,
        due: form.due,
        units: form.units,
        notes: form.notes,
      })),
    );
    ids.push(...more);
  }
  const lines = orders.flatMap(({ form }, o) =>
    form.lines.map((line, i) => ({ line, units: form.units, orderId: ids[o]!, position: i + 1 })),
  );
  for (const some of chunks(lines)) {
    goOn();
    const lineIds = await insertRows(
      tx,
      schema.orderLines,
      some.map(({ line, orderId, position }) => ({
        orderId,
        position,
        kind: line.kind,
        kindVersion: line.kindVersion,
        qty: Number(line.qty),
        fit: line.fit,
        measuredAs: line.measuredAs,
        matching: line.matching,
      })),
    );
    const values = some.flatMap(({ line, units }, i) => {
      const lineId = lineIds[i]!;
      const kind = room.kinds.find(line.kind, line.kindVersion)!;
      const { lengths } = readLineForm(line, units, '1', room.kinds);
      const choices = Object.entries(line.choices).filter(([name]) => kind.options.some(({ id }) => id === name));
      return [
        ...lengths.map(({ name, part, isMeasure, nm, typed }) => ({
          lineId,
          name,
          part,
          isMeasure,
          valueNm: nm,
          typed,
          choice: null,
        })),
        ...choices.map(([name, choice]) => ({
          lineId,
          name,
          part: 0,
          isMeasure: false,
          valueNm: null,
          typed: '',
          choice,
        })),
      ];
    });
    await insertRows(tx, schema.lineValues, values);
    const cloths = some.flatMap(({ line }, i) =>
      Object.entries(line.cloth).flatMap(([role, id]) =>
        id ? [{ lineId: lineIds[i]!, role: role as 'face', clothId: Number(id) }] : [],
      ),
    );
    await insertRows(tx, schema.lineCloths, cloths);
  }
  goOn();
}

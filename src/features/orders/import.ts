import 'server-only';
import { inArray, max, sql } from 'drizzle-orm';
import { markOf } from '@/core/cutlist';
import type { Sheet } from '@/core/files';
import { database, schema, type Transaction } from '@/db';
import { insertRows } from '@/db/insert-rows';
import { ownKinds } from '@/db/kinds';
import { toCloth } from '@/db/rows';
import { answering, done, failed, type Answer } from '@/features/commands/answer';
import { runCommand } from '@/features/commands/command';
import { type Command } from '@/features/commands/perform';
import { usualDue } from '@/features/workroom/form';
import { workroomRules } from '@/features/workroom/queries';
import { checkSheetApart, type SheetRoomData } from './sheet-process/pool';
import { FIRST_NO, NUMBER_LOCK } from './numbers';
import { saveLines } from './save-lines';
import type { SheetOrder } from './sheet';

/** The workroom's part of a check of a sheet. */
async function sheetRoom(): Promise<SheetRoomData> {
  const db = database();
  const [kinds, workroom, rows] = await Promise.all([ownKinds(db), workroomRules(), db.select().from(schema.cloths)]);
  return {
    ...kinds,
    workroom,
    cloths: rows.map((row) => [String(row.id), toCloth(row)]),
    clothIds: rows.map(({ id, name }) => [name.toLowerCase(), String(id)]),
    usualDue: usualDue(workroom),
  };
}

/** A sheet and what its columns mean. `isPartial`: an order of which a row is wrong comes in without that row; else it stays out whole. */
export interface SheetImport {
  sheet: Sheet;
  fields: string[];
  isPartial: boolean;
  /** Somebody has said that sizes outside the usual range are meant. */
  isMeant?: boolean;
}

/** Brings the good orders of a sheet in, all of them in one transaction or, when it is called off, none. */
export async function importSheet(
  { sheet, fields, isPartial, isMeant = false }: SheetImport,
  signal?: AbortSignal,
  requestId?: string,
): Promise<Answer<{ orders: number; lines: number }>> {
  return answering(async () => {
    const checked = await checkSheetApart({ sheet, fields, room: await sheetRoom(), isPartial }, signal);
    if (!checked.ok) return checked;
    const { orders, goodRows, questions } = checked.value;
    if (orders.length === 0) return failed('', 'No order of the sheet can be brought in.');
    if (questions.length > 0 && !isMeant)
      return failed(
        '',
        `Say first that unusual sizes are meant. Row ${questions[0]!.row + 2}: ${questions[0]!.message}`,
        'unusual',
      );
    // Written rows were checked just now, from the sheet itself.
    const bringIn: Command<null, { orders: number; lines: number }> = {
      name: 'bring orders in',
      read: () => ({ value: null }),
      run: async ({ tx, made }) => {
        for (const id of await insertAll(tx, orders)) made('order', id);
        if (signal?.aborted) return failed('', 'The import was cancelled; nothing was brought in.', 'cancelled');
        return done({ orders: orders.length, lines: goodRows });
      },
    };
    return runCommand(bringIn, { sheet, fields, isPartial, isMeant }, requestId);
  });
}

/** The ids of the orders that it made. */
async function insertAll(tx: Transaction, orders: readonly SheetOrder[]): Promise<number[]> {
  await tx.execute(sql`SELECT pg_advisory_xact_lock(${NUMBER_LOCK})`);
  const customers = await customerIds(
    tx,
    orders.map(({ form }) => form.customer),
  );
  const [last] = await tx.select({ no: max(schema.orders.no) }).from(schema.orders);
  const firstNo = Math.max(FIRST_NO - 1, last?.no ?? 0) + 1;
  const ids = await insertRows(
    tx,
    schema.orders,
    orders.map(({ form }, i) => ({
      no: firstNo + i,
      mark: markOf(firstNo + i),
      customerId: customers.get(form.customer.toLowerCase())!,
      due: form.due,
      units: form.units,
      notes: form.notes,
    })),
  );
  await saveLines(
    tx,
    orders.flatMap(({ lines }, o) => lines.map((line, i) => ({ orderId: ids[o]!, position: i + 1, line }))),
  );
  return ids;
}

/** The customers of these names by their names in small letters; made where they are new. */
async function customerIds(tx: Transaction, all: readonly string[]): Promise<Map<string, number>> {
  const names = [...new Map(all.map((name) => [name.toLowerCase(), name])).values()];
  const { customers } = schema;
  const lower = sql<string>`lower(${customers.name})`;
  const known = new Map<string, number>();
  for (let i = 0; i < names.length; i += 2000) {
    const some = names.slice(i, i + 2000);
    await tx
      .insert(customers)
      .values(some.map((name) => ({ name })))
      .onConflictDoNothing();
    const rows = await tx
      .select({ id: customers.id, lower })
      .from(customers)
      .where(
        inArray(
          lower,
          some.map((name) => sql`lower(${name})`),
        ),
      );
    for (const row of rows) known.set(row.lower, row.id);
    // PostgreSQL and JavaScript may not agree on a letter: then each finds its own.
    for (const name of some) {
      if (known.has(name.toLowerCase())) continue;
      const [row] = await tx
        .select({ id: customers.id })
        .from(customers)
        .where(sql`${lower} = lower(${name})`);
      known.set(name.toLowerCase(), row!.id);
    }
  }
  return known;
}

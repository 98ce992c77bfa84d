import { getTableColumns, sql } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Transaction } from './connection';

/** Rows that one statement inserts. */
const CHUNK = 2000;

/**
 * Inserts rows of the same columns, each chunk as one JSON parameter: many times faster than a parameter a value, and without
 * PostgreSQL's limit of 65,535 parameters. Returns the new rows' ids in their order, where the table has one.
 */
export async function insertRows<T extends PgTable>(
  tx: Transaction,
  table: T,
  rows: readonly (T['$inferInsert'] & Record<string, unknown>)[],
): Promise<number[]> {
  const ids: number[] = [];
  for (let i = 0; i < rows.length; i += CHUNK) ids.push(...(await insertChunk(tx, table, rows.slice(i, i + CHUNK))));
  return ids;
}

async function insertChunk<T extends PgTable>(
  tx: Transaction,
  table: T,
  rows: readonly (T['$inferInsert'] & Record<string, unknown>)[],
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

import type { PoolClient } from 'pg';

export interface Column {
  name: string;
  isGenerated: boolean;
  isIdentity: boolean;
}

/** The columns of a table by name, as the database has them. */
export async function columnsOf(client: PoolClient, table: string): Promise<Column[]> {
  const { rows } = await client.query<{ column_name: string; is_generated: string; is_identity: string }>(
    `SELECT column_name, is_generated, is_identity FROM information_schema.columns
     WHERE table_schema = 'public' AND table_name = $1 ORDER BY column_name`,
    [table],
  );
  return rows.map((row) => ({
    name: row.column_name,
    isGenerated: row.is_generated === 'ALWAYS',
    isIdentity: row.is_identity === 'YES',
  }));
}

/** The columns of a table's primary key, in their order: rows are written by it. */
export async function keyOf(client: PoolClient, table: string): Promise<string[]> {
  const { rows } = await client.query<{ name: string }>(
    `SELECT a.attname AS name FROM pg_index i
     CROSS JOIN LATERAL unnest(i.indkey) WITH ORDINALITY AS k(number, place)
     JOIN pg_attribute a ON a.attrelid = i.indrelid AND a.attnum = k.number
     WHERE i.indrelid = ('public.' || quote_ident($1))::regclass AND i.indisprimary ORDER BY k.place`,
    [table],
  );
  return rows.map(({ name }) => name);
}

export const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

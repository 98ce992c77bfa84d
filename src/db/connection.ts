import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

export const databaseUrl = (): string => {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with "npm start".');
  return url;
};

/** A pool and the database on it, for programs that end. */
export function connect(url = databaseUrl()): { db: Database; close: () => Promise<void> } {
  const pool = new Pool({ connectionString: url, max: 10 });
  // A connection that breaks while idle (the server was stopped) is replaced at the next query.
  pool.on('error', () => undefined);
  return { db: drizzle(pool, { schema }), close: () => pool.end() };
}

const held = globalThis as { jollyBoltDb?: Database };

/** The application's database, connected at first use so that a build needs none. */
export const database = (): Database => (held.jollyBoltDb ??= connect().db);

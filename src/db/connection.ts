import { PgTransaction } from 'drizzle-orm/pg-core';
import { AsyncLocalStorage } from 'node:async_hooks';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
/** Something to read through: the database from a page, the command's own transaction from a command. */
export type Reader = Pick<Database, 'select' | 'selectDistinct' | 'selectDistinctOn' | 'execute' | '$with' | 'with'>;

export const databaseUrl = (): string => {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with "npm start".');
  return url;
};

/** Most connections of one process. */
const MOST_CONNECTIONS = 10;

/** Limits on waiting, in milliseconds: for a free connection, for one statement, for a lock, and inside an open transaction. */
export interface Waits {
  connection: number;
  statement: number;
  lock: number;
  idleInTransaction: number;
}

/** For pages and commands: nobody waits longer than this for an answer. */
const WEB_WAITS: Waits = { connection: 10_000, statement: 30_000, lock: 10_000, idleInTransaction: 30_000 };
/** For programs beside the pages (the worker, the archive, set-up), whose statements may be long. */
const PROGRAM_WAITS: Waits = { connection: 30_000, statement: 600_000, lock: 60_000, idleInTransaction: 600_000 };

/** A pool and the database on it, for programs that end. */
export function connect(url = databaseUrl(), waits = PROGRAM_WAITS): { db: Database; close: () => Promise<void> } {
  const pool = new Pool({
    connectionString: url,
    max: MOST_CONNECTIONS,
    connectionTimeoutMillis: waits.connection,
    statement_timeout: waits.statement,
    lock_timeout: waits.lock,
    idle_in_transaction_session_timeout: waits.idleInTransaction,
    // A server that is there but silent answers no statement_timeout either.
    query_timeout: waits.statement + 5_000,
    // Our statements are short: compiling one takes longer than running it (25 ms for 3 ms on the list of batches).
    options: '-c jit=off',
  });
  // A connection that breaks while idle (the server was stopped) is replaced at the next query.
  pool.on('error', () => undefined);
  return { db: drizzle(pool, { schema }), close: () => pool.end() };
}

const held = globalThis as { jollyBoltDb?: ReturnType<typeof connect> };
const insideTransaction = new AsyncLocalStorage<true>();

/**
 * The application's database, connected at first use so that a build needs none.
 *
 * @throws inside a transaction of `transact`: a second connection asked for while one is held lets as many requests as there are
 *   connections wait for each other without end.
 */
export const database = (): Database => {
  if (insideTransaction.getStore())
    throw new Error('A command reads through its own transaction: pass it on instead of asking for the database.');
  return (held.jollyBoltDb ??= connect(databaseUrl(), WEB_WAITS)).db;
};

/** Ends the connections of `database`, in a program that ends. */
export async function closeDatabase(): Promise<void> {
  await held.jollyBoltDb?.close();
  delete held.jollyBoltDb;
}

/** Runs a body in a transaction of the application's database. Everything within it goes through that transaction. */
export const transact = <T>(body: (tx: Transaction) => Promise<T>): Promise<T> =>
  database().transaction((tx) => insideTransaction.run(true, () => body(tx)));

/** Asks several things side by side where each has a connection of its own; one after the other in a transaction, which has one for all. */
export async function allOf<Asks extends readonly (() => PromiseLike<unknown>)[]>(
  db: Reader,
  ...asks: Asks
): Promise<{ [K in keyof Asks]: Awaited<ReturnType<Asks[K]>> }> {
  const answers: unknown[] = [];
  if (db instanceof PgTransaction) for (const ask of asks) answers.push(await ask());
  else answers.push(...(await Promise.all(asks.map((ask) => ask()))));
  return answers as { [K in keyof Asks]: Awaited<ReturnType<Asks[K]>> };
}

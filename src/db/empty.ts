import { sql } from 'drizzle-orm';
import type { Transaction } from './connection';

/** Empties every table, so that the numbers of records begin at 1 again. */
export const emptyTables = (tx: Pick<Transaction, 'execute'>) =>
  tx.execute(
    sql`TRUNCATE settings, people, audit_entries, customers, cloths, materials, orders, batches, lay_runs, kinds, alone_lays RESTART IDENTITY CASCADE`,
  );

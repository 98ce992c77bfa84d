import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { afterAll, beforeAll, beforeEach } from 'vitest';
import { connect, type Database } from '@/db';
import type { Answer } from '@/features/commands/answer';
import { saveCloth } from '@/features/cloth/actions';
import { EMPTY_CLOTH } from '@/features/cloth/form';
import { searchHere } from '@/work/lengths-alone';
import { closePool } from '@/work/pool';
import { DELETE_ALL } from './delete-all';

/** Time (s) of lays in tests of what happens to them. */
export const A_MOMENT = 0.05;

/** Value of an action's answer; a refusal fails the test. */
export const value = <T>(answer: Answer<T>): T => {
  if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
  return answer.value;
};
export const faultsOf = (answer: Answer) => (answer.ok ? [] : answer.faults);

/** A connection to the migrated test database, and what ends it and the threads. */
export async function openWorkroom(): Promise<{ db: Database; close: () => Promise<void> }> {
  searchHere();
  const { db, close } = connect();
  await migrate(db, { migrationsFolder: 'src/db/migrations' });
  return { db, close: () => closePool().then(close) };
}

/** Empties the workroom but for one patterned cloth, whose id it returns. */
export async function resetWorkroom(db: Database): Promise<number> {
  await db.execute(sql.raw(DELETE_ALL));
  const pattern = { repeatAcross: '9', repeatAlong: '8', drop: '1/2', turns: 'none' };
  return value(await saveCloth({ ...EMPTY_CLOTH, name: 'Test reed', price: '18', ...pattern }, null)).id;
}

/** The database of the tests of a file that is `inWorkroom`, and the cloth that each of them begins with. */
export let db: Database;
export let cloth: number;

/** Has each test of a file begin in an empty workroom with one patterned cloth. */
export function inWorkroom() {
  let close: () => Promise<void>;
  beforeAll(async () => {
    ({ db, close } = await openWorkroom());
  });
  afterAll(() => close());
  beforeEach(async () => {
    cloth = await resetWorkroom(db);
  });
}

import { addDays } from 'date-fns';
import { eq, sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { parseArgs } from 'node:util';
import { closeDatabase, connect, schema, type Database } from '@/db';
import { DEMO_BATCHES, insertDemo } from '@/db/demo';
import { emptyTables } from '@/db/empty';
import { readLogo } from '@/features/workroom/logo';
import { historyDemo } from './demo-history';
import { roomDemo } from './demo-room';
import { approveDemo, cutDemo, quoteDemo } from './demo-ends';
import { layAtOnce } from '@/work/lay-batch';
import { searchHere } from '@/work/lengths-alone';
import { closePool } from '@/work/pool';

// Brings the database up to date and, once, loads the demo workroom: node dist/set-up.mjs [--empty | --reset].

const SET_UP_LOCK = 4200;
/** Time of each of the demo’s batches for its lays, in seconds. */
const DEMO_LAY_SECONDS = 5;

async function main() {
  const { values } = parseArgs({
    options: { empty: { type: 'boolean', default: false }, reset: { type: 'boolean', default: false } },
  });
  searchHere();
  const { db, close } = connect();
  try {
    await db.execute(sql`SELECT pg_advisory_lock(${SET_UP_LOCK})`);
    await migrate(db, { migrationsFolder: 'src/db/migrations' });
    const [known] = await db.select().from(schema.settings).where(eq(schema.settings.key, 'workroom'));
    const isHalf = (known?.value as { isLoading?: boolean } | undefined)?.isLoading === true;
    if (values.reset || isHalf || (!known && !values.empty)) await loadDemo(db);
    else if (!known) await db.insert(schema.settings).values({ key: 'workroom', value: { demo: false } });
  } finally {
    await closePool();
    await closeDatabase();
    await close();
  }
}

/** Empties the database and loads the demo in one transaction, then makes the lays of its batches. */
async function loadDemo(db: Database) {
  console.log('Loading the demo workroom …');
  const today = new Date();
  const ids = await db.transaction(async (tx) => {
    await emptyTables(tx);
    await tx.insert(schema.settings).values([
      // Until all of it is there: a start that was ended meanwhile is made good by the next.
      { key: 'workroom', value: { demo: true, isLoading: true } },
      {
        key: 'workroom-address',
        value: {
          name: 'Winding Hole Covers',
          address: 'The sail loft\nLower Basin',
          contact: 'ask at the loft door',
          taxNumber: 'Tax no. 00-0000-00',
        },
      },
      { key: 'workroom-logo', value: { png: await demoLogo() } },
      // The stand-ins (npm run stand-in) are found at their usual places.
      {
        key: 'machines',
        value: {
          cutter: 'http://127.0.0.1:4101',
          printer: '127.0.0.1:4102',
          tape: 'ws://127.0.0.1:4104',
          supplier: 'http://127.0.0.1:4105/prices',
        },
      },
    ]);
    return insertDemo(tx, today);
  });
  const people = (await db.select({ id: schema.people.id }).from(schema.people).orderBy(schema.people.id)).map(
    ({ id }) => id,
  );
  await historyDemo(db, today, people);
  for (const [i, { end }] of DEMO_BATCHES.entries()) {
    if (end === 'draft') continue;
    const batchId = ids[i]!;
    await layAtOnce(db, batchId, DEMO_LAY_SECONDS);
    if (end === 'laid') continue;
    await approveDemo(db, batchId, people[0]!, addDays(today, end === 'cut' ? -6 : -1));
    if (end !== 'cut') continue;
    await cutDemo(db, batchId, people[1]!, addDays(today, -5));
    await roomDemo(db, batchId, people, addDays(today, -5));
  }
  await quoteDemo(db, today, people[0]!);
  await db
    .update(schema.settings)
    .set({ value: { demo: true } })
    .where(eq(schema.settings.key, 'workroom'));
}

/** The demo workroom's sign: a bolt of cloth on end, with a tail. */
async function demoLogo(): Promise<string> {
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 80"><rect width="200" height="80" fill="#fff"/><circle cx="40" cy="40" r="32" fill="#0f5a46"/><circle cx="40" cy="40" r="20" fill="none" stroke="#fff" stroke-width="5"/><circle cx="40" cy="40" r="7" fill="#fff"/><path d="M40 72h140" stroke="#0f5a46" stroke-width="6"/></svg>';
  const logo = await readLogo(new TextEncoder().encode(svg));
  if (!logo.ok) throw new Error(logo.faults[0]!.message);
  return logo.value;
}

await main();

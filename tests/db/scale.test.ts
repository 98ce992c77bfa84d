import { sql, type SQL } from 'drizzle-orm';
import { afterAll, beforeAll, expect, test } from 'vitest';
import type { Database } from '@/db';
import {
  getItem,
  itemsQuery,
  listShelf,
  movementsQuery,
  shelfPage,
  shelfWorth,
  type ShelfQuery,
} from '@/features/stock/queries';
import { openWorkroom, resetWorkroom } from '../support/workroom';

// On a large shelf every list and search goes by an index: no query looks at all movements, none once a row.

let db: Database;
let close: () => Promise<void>;
const ITEMS = 6_000;

beforeAll(async () => {
  ({ db, close } = await openWorkroom());
  const cloth = await resetWorkroom(db);
  await db.execute(sql`
    INSERT INTO cloths (name, units, width_nm, turns, ground_colour, figure_colour, price_minor, currency, price_per, selling_step_nm)
    SELECT 'Cloth no. ' || n, 'mm', 1400000000, 'half', '#000000', '#000000', 1200, 'GBP', 'm', 100000000 FROM generate_series(1, 200) n`);
  await db.execute(sql`
    INSERT INTO stock_items (sort, cloth_id, lot, width_nm, length_nm, place, currency, price_per)
    SELECT 'bolt', ${cloth} + n % 200, 'L' || n, 1400000000, 40000000000, 'rack ' || n % 60, 'GBP', 'm' FROM generate_series(1, ${sql.raw(String(ITEMS))}) n`);
  await db.execute(
    sql`INSERT INTO movements (item_id, sort, quantity) SELECT i.id, 'received', 40000000000 FROM stock_items i`,
  );
  await db.execute(sql`ALTER TABLE movements DISABLE TRIGGER USER`);
  await db.execute(
    sql`INSERT INTO movements (item_id, sort, quantity) SELECT i.id, 'moved', 0 FROM stock_items i, generate_series(1, 12)`,
  );
  await db.execute(sql`ALTER TABLE movements ENABLE TRIGGER USER`);
  await db.execute(sql`ANALYZE`);
}, 120_000);
afterAll(async () => {
  await resetWorkroom(db);
  await close();
});

interface Plan {
  'Node Type': string;
  'Relation Name'?: string;
  'Actual Loops': number;
  Plans?: Plan[];
}
/** The nodes of the plan by which a query was really run. */
async function nodesOf(query: { getSQL: () => SQL }): Promise<Plan[]> {
  const { rows } = await db.execute<{ 'QUERY PLAN': { Plan: Plan }[] }>(
    sql`EXPLAIN (ANALYZE, FORMAT JSON) ${query.getSQL()}`,
  );
  const all = (plan: Plan): Plan[] => [plan, ...(plan.Plans ?? []).flatMap(all)];
  return all(rows[0]!['QUERY PLAN'][0]!.Plan);
}
const scans = (nodes: readonly Plan[], table: string) =>
  nodes.filter((node) => node['Relation Name'] === table && node['Node Type'] === 'Seq Scan');

test.each<[string, ShelfQuery]>([
  ['the first page', {}],
  ['a late page', { page: `after~${ITEMS / 2}` }],
  ['a search by code and place', { search: 'b17 rack' }],
  ['a search by a lot', { search: 'L4711' }],
  ['one cloth', { clothId: 9 }],
])('the shelf, %s, goes by an index', async (_, query) => {
  const { where, orderBy } = shelfPage(query);
  const nodes = await nodesOf(itemsQuery(where, orderBy, 31));
  expect(scans(nodes, 'stock_items')).toEqual([]);
  expect((await listShelf(query)).rows.length).toBeGreaterThan(0);
});

test('an item with its movements goes by an index', async () => {
  const nodes = await nodesOf(movementsQuery(ITEMS / 2));
  expect(scans(nodes, 'movements')).toEqual([]);
  expect((await getItem(ITEMS / 2))!.movements).toHaveLength(13);
});

test('what the shelf is worth is one pass over the items, not over the movements', async () => {
  expect(await shelfWorth()).toMatchObject([{ currency: 'GBP', items: ITEMS }]);
});

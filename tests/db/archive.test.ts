import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import JSZip from 'jszip';
import Papa from 'papaparse';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { ArchiveFault, readArchive } from '@/archive/read-archive';
import { ARCHIVED } from '@/archive/tables';
import { writeArchive } from '@/archive/write-archive';
import { databaseUrl, schema, type Database } from '@/db';
import { insertDemo } from '@/db/demo';
import { emptyTables } from '@/db/empty';
import { receive, countItem } from '@/features/stock/actions';
import { layAtOnce } from '@/work/lay-batch';
import { movementSums, receipt } from '../support/stock';
import { openWorkroom, value } from '../support/workroom';

// The whole workroom out and in again is the same workroom.

let db: Database;
let close: () => Promise<void>;
const folder = mkdtempSync(join(tmpdir(), 'archive-'));
const file = join(folder, 'workroom.zip');

beforeAll(async () => {
  ({ db, close } = await openWorkroom());
  await emptyTables(db);
  const [, , third] = await db.transaction((tx) => insertDemo(tx, new Date('2026-05-05')));
  await layAtOnce(db, third!, 2);
  await db
    .insert(schema.settings)
    .values({ key: 'strange', value: { text: '=1+1, “é”, \u{1f9f5}', deep: [1, { a: null }] } });
}, 200_000);
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
  return close();
});

const hashes = async (path: string) => {
  const zip = await JSZip.loadAsync(readFileSync(path));
  const files = Object.values(zip.files).map(async (one) => [
    one.name,
    createHash('sha256')
      .update(await one.async('nodebuffer'))
      .digest('hex'),
  ]);
  return Object.fromEntries(await Promise.all(files)) as Record<string, string>;
};

test('every table of the schema is in the archive', async () => {
  const { rows } = await db.execute<{ name: string }>(
    sql`SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE'`,
  );
  // Who has a table open is of no use a minute later; the sums are made anew from the movements.
  const kept = rows
    .map(({ name }) => name)
    .filter((name) => !['table_visits', 'devices', 'pairing_codes', 'pairing_tries', 'movement_sums'].includes(name));
  expect(kept.sort()).toEqual([...ARCHIVED].sort());
});

test('out, and in again, is the same to the last byte; new records count on from there', async () => {
  const written = await writeArchive(databaseUrl(), file);
  expect(written.rows).toBeGreaterThan(200);
  const before = await hashes(file);
  const sums = await movementSums(db);
  expect(sums.length).toBeGreaterThan(5);
  await emptyTables(db);
  expect(await movementSums(db)).toEqual([]);
  expect(await readArchive(databaseUrl(), file)).toEqual(written);
  expect(await movementSums(db)).toEqual(sums);
  const again = join(folder, 'again.zip');
  await writeArchive(databaseUrl(), again);
  expect(await hashes(again)).toEqual(before);
  // The same content gives the same file, whenever it is written.
  expect(readFileSync(again).equals(readFileSync(file))).toBe(true);
  const [cloth] = await db.select({ id: schema.cloths.id }).from(schema.cloths).limit(1);
  const { id } = value(await receive(receipt(cloth!.id)));
  expect(value(await countItem(id, '19 yd', 'after the archive'))).toEqual({ difference: -914_400_000 });
});

test('its lists are read by a spreadsheet, and nothing in them is a formula', async () => {
  const zip = await JSZip.loadAsync(readFileSync(file));
  const shelf = Papa.parse<Record<string, string>>(await zip.file('lists/shelf.csv')!.async('string'), {
    header: true,
    skipEmptyLines: true,
  });
  expect(shelf.errors).toEqual([]);
  const [row] = (await db.execute<{ code: string }>(sql`SELECT code FROM stock_items ORDER BY id LIMIT 1`)).rows;
  expect(shelf.data[0]!.code).toBe(row!.code);
  await db.execute(sql`UPDATE orders SET notes = '=HYPERLINK("x")' WHERE no = 201`);
  const other = join(folder, 'formula.zip');
  await writeArchive(databaseUrl(), other);
  const orders = await (await JSZip.loadAsync(readFileSync(other))).file('lists/orders.csv')!.async('string');
  expect(
    Papa.parse<string[]>(orders)
      .data.flat()
      .filter((cell) => /^[=+\-@]/.test(cell) && !/^-?\d/.test(cell)),
  ).toEqual([]);
});

test.each([
  ['no file', async () => join(folder, 'nothing.zip'), /There is no file/],
  ['a file that is no zip', async (path: string) => (writeFileSync(path, 'hello'), path), /no zip file/],
  ['a zip of something else', (path: string) => changed(path, (zip) => zip.remove('archive.json')), /not an archive/],
  [
    'a later version',
    (path: string) => changed(path, (zip) => zip.file('archive.json', '{"format":"jolly-bolt/archive","version":2}')),
    /version 2; 1 is known/,
  ],
  [
    'a table missing',
    (path: string) => changed(path, (zip) => zip.remove('tables/movements.jsonl')),
    /not whole: movements is missing/,
  ],
  [
    'a row that breaks a rule',
    (path: string) =>
      changed(path, (zip) =>
        zip.file('tables/customers.jsonl', '{"id":1,"name":" ","contact":"","created_at":"2026-01-01"}\n'),
      ),
    /something that a workroom can't/,
  ],
  [
    'a row that is no JSON',
    (path: string) => changed(path, (zip) => zip.file('tables/cloths.jsonl', '{"id":1,\n')),
    /A row of cloths can’t be read/,
  ],
  [
    'a balance three times as large',
    (path: string) =>
      changed(path, (zip) => changedRows(zip, 'stock_items', (row) => ({ ...row, on_hand: 3 * Number(row.on_hand) }))),
    /The ledger of the archive is broken: \w+ has \d+ by its balance and \d+ by its movements/,
  ],
  [
    'movements without a row, whatever it says of itself',
    (path: string) =>
      changed(path, async (zip) => {
        zip.file('tables/movements.jsonl', '');
        await about(zip, ({ rows: _, ...rest }) => rest);
      }),
    /The ledger of the archive is broken/,
  ],
  [
    'fewer rows than it says',
    (path: string) => changed(path, (zip) => zip.file('tables/movements.jsonl', '')),
    /says that movements has \d+ rows, and it has 0/,
  ],
  [
    'no tables at all',
    (path: string) =>
      changed(path, async (zip) => {
        for (const name of ARCHIVED) zip.remove(`tables/${name}.jsonl`);
        await about(zip, (all) => ({ ...all, tables: [] }));
      }),
    /not whole: settings, customers/,
  ],
  [
    'a column that is not known',
    (path: string) => changed(path, (zip) => changedRows(zip, 'customers', (row) => ({ ...row, nickname: 'x' }))),
    /customers holds a column that this version does not know: nickname/,
  ],
  [
    'a table that is not known',
    (path: string) => changed(path, (zip) => zip.file('tables/spells.jsonl', '')),
    /a table that this version does not know: spells/,
  ],
  [
    'a member that unpacks to far more than a workroom',
    (path: string) => changed(path, (zip) => zip.file('tables/customers.jsonl', Buffer.alloc(60_000_000, 32))),
    /customers.jsonl would unpack to more/,
  ],
] as const)('%s is refused in a sentence, and the workroom is as it was', async (_, make, message) => {
  const before = await db.select({ count: sql<number>`count(*)::int` }).from(schema.movements);
  const path = await make(join(folder, 'bad.zip'));
  const error = await readArchive(databaseUrl(), path).catch((thrown: unknown) => thrown);
  expect(error).toBeInstanceOf(ArchiveFault);
  expect((error as Error).message).toMatch(message);
  expect(await db.select({ count: sql<number>`count(*)::int` }).from(schema.movements)).toEqual(before);
});

test('an archive from before a table and a column is read: the table is empty, the column as usual', async () => {
  const old = await changed(join(folder, 'old.zip'), async (zip) => {
    const about = JSON.parse(await zip.file('archive.json')!.async('string')) as { tables: string[] };
    zip.file(
      'archive.json',
      JSON.stringify({ ...about, rows: undefined, tables: about.tables.filter((name) => name !== 'lay_ways') }),
    );
    zip.remove('tables/lay_ways.jsonl');
    const lays = (await zip.file('tables/lays.jsonl')!.async('string')).trim().split('\n');
    zip.file('tables/lays.jsonl', lays.map((row) => JSON.stringify({ ...JSON.parse(row), how: undefined })).join('\n'));
  });
  await readArchive(databaseUrl(), old);
  const lays = await db.select({ how: schema.lays.how }).from(schema.lays);
  expect(lays.length).toBeGreaterThan(0);
  expect(lays.every(({ how }) => how === '')).toBe(true);
  expect(await db.select().from(schema.layWays)).toEqual([]);
});

type Row = Record<string, unknown>;
async function changedRows(zip: JSZip, table: string, change: (row: Row) => Row) {
  const text = await zip.file(`tables/${table}.jsonl`)!.async('string');
  const rows = text
    .trim()
    .split('\n')
    .map((line) => JSON.stringify(change(JSON.parse(line) as Row)));
  zip.file(`tables/${table}.jsonl`, `${rows.join('\n')}\n`);
}
async function about(zip: JSZip, change: (about: Row) => Row) {
  const all = JSON.parse(await zip.file('archive.json')!.async('string')) as Row;
  zip.file('archive.json', JSON.stringify(change(all)));
}

async function changed(path: string, change: (zip: JSZip) => unknown) {
  const zip = await JSZip.loadAsync(readFileSync(file));
  await change(zip);
  writeFileSync(path, await zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' }));
  return path;
}

test('days in its lists are days, and numbers are numbers, whatever the zone of the machine', async () => {
  const before = process.env.TZ;
  process.env.TZ = 'Pacific/Auckland';
  try {
    const other = join(folder, 'zone.zip');
    await writeArchive(databaseUrl(), other);
    const zip = await JSZip.loadAsync(readFileSync(other));
    const orders = Papa.parse<Record<string, string>>(await zip.file('lists/orders.csv')!.async('string'), {
      header: true,
      skipEmptyLines: true,
    });
    const { rows } = await db.execute<{ due: string }>(
      sql`SELECT due::text FROM orders WHERE deleted_at IS NULL ORDER BY no`,
    );
    expect(orders.data.map(({ due }) => due)).toEqual(rows.map(({ due }) => due));
    const movements = Papa.parse<Record<string, string>>(await zip.file('lists/movements.csv')!.async('string'), {
      header: true,
      skipEmptyLines: true,
    });
    const counted = movements.data.filter(({ sort }) => sort === 'counted').map(({ quantity }) => Number(quantity));
    expect(counted.length).toBeGreaterThan(0);
    expect(counted.some((quantity) => quantity < 0)).toBe(true);
  } finally {
    process.env.TZ = before;
  }
});

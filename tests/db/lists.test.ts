import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { GET } from '@/app/api/lists/[name]/route';
import { sql } from 'drizzle-orm';
import { figure } from '@/features/figures/queries';
import { schema, type Database } from '@/db';
import { insertDemo } from '@/db/demo';
import { emptyTables } from '@/db/empty';
import { LISTS } from '@/records/lists';
import { openWorkroom } from '../support/workroom';

// Every list as a file, read back by independent readers.

let db: Database;
let close: () => Promise<void>;

beforeAll(async () => {
  ({ db, close } = await openWorkroom());
  await emptyTables(db);
  await db.transaction((tx) => insertDemo(tx, new Date('2026-05-05')));
  await db.update(schema.orders).set({ notes: '=1+1' });
}, 100_000);
afterAll(() => close());

const take = (name: string, as: string) =>
  GET(new Request(`http://127.0.0.1/api/lists/${name}?as=${as}`), { params: Promise.resolve({ name }) });

test.each(Object.keys(LISTS))('%s as CSV and XLSX hold the same, and no cell is a formula', async (name) => {
  const csv = Papa.parse<string[]>((await (await take(name, 'csv')).text()).replace('\ufeff', ''), {
    skipEmptyLines: true,
  });
  expect(csv.errors).toEqual([]);
  expect(csv.data[0]).toEqual(LISTS[name]!.columns.map((column) => column.name));
  expect(csv.data.length).toBeGreaterThan(['batches', 'quotes'].includes(name) ? 0 : 5);
  expect(csv.data.flat().filter((cell) => /^[=+@\t]/.test(cell))).toEqual([]);
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(await (await take(name, 'xlsx')).arrayBuffer());
  const sheet = book.worksheets[0]!;
  expect(sheet.views[0]).toMatchObject({ state: 'frozen', ySplit: 1 });
  expect(sheet.rowCount).toBe(csv.data.length);
  sheet.eachRow((row, r) => {
    for (let c = 1; c <= LISTS[name]!.columns.length; c++) {
      const cell = row.getCell(c);
      expect(cell.type).not.toBe(ExcelJS.ValueType.Formula);
      const { as } = LISTS[name]!.columns[c - 1]!;
      const inCsv = csv.data[r - 1]![c - 1]!;
      if (r === 1 || as === 'text') {
        const text = cell.value === null ? '' : String(cell.value as string | number);
        // In a CSV a text that begins like a formula is made one that does not.
        expect([text, `'${text}`]).toContain(inCsv);
      } else if (inCsv === '') expect(cell.value === null || cell.value === '').toBe(true);
      else if (as === 'day' || as === 'time') {
        expect(cell.value).toBeInstanceOf(Date);
        expect((cell.value as Date).toISOString().slice(0, inCsv.length).replace('T', ' ')).toBe(inCsv);
      } else {
        expect(typeof cell.value).toBe('number');
        expect(Number(inCsv)).toBe(cell.value);
      }
    }
  });
});

test('the shelf in millimetres and money', async () => {
  const { data } = Papa.parse<Record<string, string>>(
    (await (await take('shelf', 'csv')).text()).replace('\ufeff', ''),
    { header: true },
  );
  const velvet = data.find((row) => row['What it is'] === 'Footlight velvet' && row.Sort === 'bolt')!;
  // 24 m less 2.6 m and 35 cm.
  expect(velvet).toMatchObject({
    Lot: 'F12',
    'Width mm': '1400',
    'Left (mm or pieces)': '21050',
    Paid: '33.50',
    Currency: 'GBP',
    'For one': 'm',
  });
});

test('a list that is none is not found', async () => {
  for (const name of ['secrets', '__proto__', 'constructor']) expect((await take(name, 'csv')).status).toBe(404);
});

test('days are days whatever the zone of the machine', async () => {
  const before = process.env.TZ;
  process.env.TZ = 'Pacific/Auckland';
  try {
    const { data } = Papa.parse<Record<string, string>>(
      (await (await take('orders', 'csv')).text()).replace('\ufeff', ''),
      { header: true, skipEmptyLines: true },
    );
    const rows = await db.execute<{ no: number; due: string }>(
      sql`SELECT no, due::text FROM orders WHERE deleted_at IS NULL ORDER BY no`,
    );
    expect(data.map((row) => row.Due)).toEqual(rows.rows.map(({ due }) => due));
  } finally {
    process.env.TZ = before;
  }
});

test.each([
  ['JPY', 29_600, '29600', 29_600],
  ['GBP', 2_450, '24.50', 24.5],
  ['OMR', 12_345, '12.345', 12.345],
])('money of %s has its own decimals in the lists and figures', async (currency, minor, text, number) => {
  await db.execute(sql`UPDATE cloths SET currency = ${currency}, price_minor = ${minor}`);
  // One metre of each item, at that price for a metre.
  await db.execute(
    sql`UPDATE stock_items SET currency = ${currency}, price_minor = ${minor}, price_per = 'm' WHERE cloth_id IS NOT NULL`,
  );
  await db.execute(sql`UPDATE stock_items SET currency = ${currency}, price_minor = 0 WHERE material_id IS NOT NULL`);
  const { data } = Papa.parse<Record<string, string>>(
    (await (await take('cloth', 'csv')).text()).replace('\ufeff', ''),
    { header: true, skipEmptyLines: true },
  );
  expect(new Set(data.map((row) => row.Price))).toEqual(new Set([text]));
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(await (await take('cloth', 'xlsx')).arrayBuffer());
  expect(book.worksheets[0]!.getRow(2).getCell(6).value).toBe(number);
  const { rows } = await db.execute<{ metres: string }>(
    sql`SELECT sum(on_hand) / 1000000000 AS metres FROM stock_items WHERE cloth_id IS NOT NULL AND sort <> 'sheets'`,
  );
  const age = (await figure('age'))!;
  const cloths = age.columns.flatMap((name, i) => (['Bolts', 'Remnants'].includes(name) ? [i - 1] : []));
  const worth = age.rows.flatMap(({ values }) => cloths.map((i) => values[i]!)).reduce((sum, value) => sum + value, 0);
  expect(age.unit).toBe(currency);
  expect(worth / (Number(rows[0]!.metres) * number)).toBeCloseTo(1, 1);
});

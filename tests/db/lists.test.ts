import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { GET } from '@/app/api/lists/[name]/route';
import { schema, type Database } from '@/db';
import { insertDemo } from '@/db/demo';
import { emptyTables } from '@/db/empty';
import { LISTS } from '@/features/lists/lists';
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

const take = (name: string, as: string) => GET(new Request(`http://127.0.0.1/api/lists/${name}?as=${as}`), { params: Promise.resolve({ name }) }); // prettier-ignore

test.each(Object.keys(LISTS))('%s as CSV and XLSX hold the same, and no cell is a formula', async (name) => {
  const csv = Papa.parse<string[]>((await (await take(name, 'csv')).text()).replace('\ufeff', ''), { skipEmptyLines: true }); // prettier-ignore
  expect(csv.errors).toEqual([]);
  expect(csv.data[0]).toEqual(LISTS[name]!.columns);
  expect(csv.data.length).toBeGreaterThan(['batches', 'quotes'].includes(name) ? 0 : 5);
  expect(csv.data.flat().filter((cell) => /^[=+@\t]/.test(cell))).toEqual([]);
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(await (await take(name, 'xlsx')).arrayBuffer());
  const sheet = book.worksheets[0]!;
  expect(sheet.rowCount).toBe(csv.data.length);
  sheet.eachRow((row, r) => {
    for (let c = 1; c <= LISTS[name]!.columns.length; c++) {
      const cell = row.getCell(c);
      expect(cell.type).not.toBe(ExcelJS.ValueType.Formula);
      const text = cell.value === null ? '' : String(cell.value as string | number);
      // In a CSV a text that begins like a formula is made one that does not.
      expect([text, `'${text}`]).toContain(csv.data[r - 1]![c - 1]);
    }
  });
});

test('the shelf in millimetres and money', async () => {
  const { data } = Papa.parse<Record<string, string>>((await (await take('shelf', 'csv')).text()).replace('\ufeff', ''), { header: true }); // prettier-ignore
  const velvet = data.find((row) => row['What it is'] === 'Footlight velvet' && row.Sort === 'bolt')!;
  // 24 m less 2.6 m and 35 cm.
  expect(velvet).toMatchObject({ Lot: 'F12', 'Width mm': '1400', 'Left (mm or pieces)': '21050', Paid: '33.5', Currency: 'GBP', 'For one': 'm' }); // prettier-ignore
});

test('a list that is none is not found', async () => {
  for (const name of ['secrets', '__proto__', 'constructor']) expect((await take(name, 'csv')).status).toBe(404);
});

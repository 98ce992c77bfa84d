import { once } from 'node:events';
import { createReadStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PassThrough } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { Client, types } from 'pg';
import { writeArchive } from '@/archive/write-archive';
import { cellText, cellValue, type Cell } from '@/core/files/cell';
import { cellsOf, LISTS, type List } from '@/records/lists';

// node dist/export-child.mjs LIST csv|xlsx, or archive: one export of DATABASE_URL to standard output, written as it is read. A process of
// its own, so that however large the workroom is, pages are answered meanwhile and their memory stays theirs.

const AT_ONCE = 5_000;

/** Rows of a list, some thousand at a time, all of one moment. */
async function* rowsOf({ sql }: List): AsyncIterable<unknown[][]> {
  // Days stay days: as a time they would hang on this machine's zone (PostgreSQL's type 1082 is date).
  types.setTypeParser(1082, (value) => value);
  const client = new Client({ connectionString: process.env.DATABASE_URL });
  await client.connect();
  try {
    await client.query(
      `BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY; SET LOCAL TIME ZONE 'UTC'; SET LOCAL work_mem = '64MB'; DECLARE export NO SCROLL CURSOR FOR ${sql}`,
    );
    for (;;) {
      const { rows } = await client.query({ text: `FETCH ${AT_ONCE} FROM export`, rowMode: 'array' });
      yield rows as unknown[][];
      if (rows.length < AT_ONCE) break;
    }
  } finally {
    await client.end();
  }
}

const write = async (text: string) => {
  if (!process.stdout.write(text)) await once(process.stdout, 'drain');
};

async function asCsv(list: List) {
  const unparse = (rows: (string | number)[][]) =>
    `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })}\r\n`;
  await write(`\ufeff${unparse([list.columns.map(({ name }) => name)])}`);
  for await (const rows of rowsOf(list))
    if (rows.length > 0) await write(unparse(rows.map((row) => cellsOf(list, row).map(cellText))));
}

async function asXlsx(list: List, name: string) {
  // Standard output never ends by itself, and the writer waits for the end of its stream.
  const out = new PassThrough();
  out.pipe(process.stdout, { end: false });
  const book = new ExcelJS.stream.xlsx.WorkbookWriter({ stream: out, useStyles: true });
  const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
  const head = sheet.addRow(list.columns.map((column) => column.name));
  head.font = { bold: true };
  head.commit();
  sheet.columns.forEach((column) => (column.width = 16));
  const add = (cells: Cell[]) => {
    const values = cells.map(cellValue);
    const row = sheet.addRow(values.map(({ value }) => value));
    values.forEach(({ format }, i) => {
      if (format) row.getCell(i + 1).numFmt = format;
    });
    row.commit();
  };
  for await (const rows of rowsOf(list)) {
    for (const row of rows) add(cellsOf(list, row));
    // The rows written so far have to reach the file before more are read.
    while (out.writableNeedDrain) await once(out, 'drain');
    await new Promise(setImmediate);
  }
  sheet.commit();
  await book.commit();
}

async function asArchive() {
  const folder = await mkdtemp(join(tmpdir(), 'jolly-bolt-'));
  try {
    const file = join(folder, 'workroom.zip');
    await writeArchive(process.env.DATABASE_URL!, file);
    await pipeline(createReadStream(file), process.stdout);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

const [what, as] = process.argv.slice(2) as [string, string];
if (what === 'archive') await asArchive();
else if (as === 'xlsx') await asXlsx(LISTS[what]!, what);
else await asCsv(LISTS[what]!);

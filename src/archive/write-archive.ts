import { createWriteStream } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Papa from 'papaparse';
import { Pool, type PoolClient } from 'pg';
import { ZipFile } from 'yazl';
import { columnsOf, keyOf, quoted } from './columns';
import { ARCHIVED, ARCHIVE_FORMAT, ARCHIVE_VERSION } from './tables';

/** Every file of an archive has this time: the same content gives the same files. */
const NO_TIME = new Date('2000-01-01T00:00:00Z');
const AT_ONCE = 2_000;

/** Lists for people and their spreadsheets, beside the tables. */
const LISTS: Record<string, string> = {
  orders: `SELECT o.no, c.name AS customer, o.due::text, o.units, o.status, o.notes FROM orders o JOIN customers c ON c.id = o.customer_id WHERE o.deleted_at IS NULL ORDER BY o.no`,
  cloth: `SELECT name, sort, units, width_nm, selvage_left_nm, selvage_right_nm, repeat_across_nm, repeat_along_nm, drop_part, turns, price_minor, currency, price_per, supplier FROM cloths ORDER BY lower(name)`,
  shelf: `SELECT i.code, coalesce(c.name, m.name) AS name, i.sort, i.lot, i.width_nm, i.on_hand, i.reserved, i.place, i.supplier, i.price_minor, i.currency, i.price_per FROM stock_items i LEFT JOIN cloths c ON c.id = i.cloth_id LEFT JOIN materials m ON m.id = i.material_id ORDER BY i.id`,
  movements: `SELECT m.id, i.code, m.sort, m.quantity, m.at, p.name AS person, m.cause, m.reason, o.no AS order_no, b.name AS batch FROM movements m JOIN stock_items i ON i.id = m.item_id LEFT JOIN people p ON p.id = m.person_id LEFT JOIN orders o ON o.id = m.order_id LEFT JOIN batches b ON b.id = m.batch_id ORDER BY m.id`,
  quotes: `SELECT q.no, o.no AS order_no, q.state, q.valid_until::text, q.total_minor, q.currency FROM quotes q JOIN orders o ON o.id = q.order_id ORDER BY q.no`,
};

/**
 * Writes the whole workroom into an open archive: a zip of one JSON file a table (a row a line, by its key, its columns in the alphabet's
 * order) and of lists as CSV (docs/formats/archive.md). All is read in one transaction; the file is there whole or not at all.
 */
export async function writeArchive(databaseUrl: string, file: string): Promise<{ rows: number }> {
  const pool = new Pool({ connectionString: databaseUrl, max: 1 });
  const client = await pool.connect();
  const partial = `${file}.part`;
  try {
    await client.query(
      `BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY; SET LOCAL TIME ZONE 'UTC'; SET LOCAL DateStyle TO 'ISO'`,
    );
    const zip = new ZipFile();
    const written = pipeline(zip.outputStream, createWriteStream(partial));
    const add = (name: string, lines: AsyncIterable<string>) =>
      new Promise<void>((resolve, reject) => {
        const stream = Readable.from(lines, { objectMode: false });
        stream.once('end', resolve).once('error', reject);
        zip.addReadStream(stream, name, { mtime: NO_TIME, mode: 0o100644 });
      });
    const counts: Record<string, number> = {};
    const counted = async function* (table: string, lines: AsyncIterable<string>) {
      for await (const line of lines) {
        counts[table] = (counts[table] ?? 0) + (line.length > 0 ? line.split('\n').length - 1 : 0);
        yield line;
      }
    };
    for (const table of ARCHIVED) await add(`tables/${table}.jsonl`, counted(table, rowsOf(client, table)));
    for (const [name, query] of Object.entries(LISTS)) await add(`lists/${name}.csv`, csvOf(client, query));
    // Last, since it says how many rows each table has.
    const rows = Object.fromEntries(ARCHIVED.map((table) => [table, counts[table] ?? 0]));
    const about = { format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, tables: ARCHIVED, rows };
    zip.addBuffer(Buffer.from(`${JSON.stringify(about, null, 2)}\n`), 'archive.json', {
      mtime: NO_TIME,
      mode: 0o100644,
    });
    zip.end();
    await written;
    await client.query('COMMIT');
    await rename(partial, file);
    return { rows: Object.values(rows).reduce((sum, n) => sum + n, 0) };
  } catch (error) {
    await rm(partial, { force: true });
    throw error;
  } finally {
    client.release();
    await pool.end();
  }
}

async function* rowsOf(client: PoolClient, table: string): AsyncIterable<string> {
  const columns = (await columnsOf(client, table)).filter(({ isGenerated }) => !isGenerated);
  const key = await keyOf(client, table);
  const list = columns.map(({ name }) => `t.${quoted(name)}`).join(', ');
  yield* read(
    client,
    `SELECT row_to_json(r)::text AS line FROM (SELECT ${list} FROM ${quoted(table)} t ORDER BY ${key.map((name) => `t.${quoted(name)}`).join(', ')}) r`,
    (rows) => rows.map(({ line }) => `${String(line)}\n`).join(''),
  );
}

async function* csvOf(client: PoolClient, query: string): AsyncIterable<string> {
  let isFirst = true;
  yield* read(client, query, (rows) => {
    const text = Papa.unparse(rows, { header: isFirst, newline: '\r\n', escapeFormulae: true });
    isFirst = false;
    return rows.length > 0 ? `${text}\r\n` : '';
  });
}

/** Reads a query some thousand rows at a time, so that a large workroom needs no more memory than a small one. */
async function* read(client: PoolClient, query: string, write: (rows: Record<string, unknown>[]) => string) {
  await client.query(`DECLARE archive NO SCROLL CURSOR FOR ${query}`);
  for (;;) {
    const { rows } = await client.query<Record<string, unknown>>(`FETCH ${AT_ONCE} FROM archive`);
    if (rows.length > 0) yield write(rows.map(plain));
    if (rows.length < AT_ONCE) break;
  }
  await client.query('CLOSE archive');
}

/** Times as ISO texts and whole numbers as numbers: how a spreadsheet and another program read them alike. */
const plain = (row: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      value instanceof Date ? value.toISOString() : isWhole(value) ? Number(value) : value,
    ]),
  );

/** Counts of the database (bigint) come as texts; one with a sign would be taken for a formula. */
const isWhole = (value: unknown): boolean =>
  typeof value === 'string' && /^-?\d{1,15}$/.test(value) && !/^-?0\d/.test(value);

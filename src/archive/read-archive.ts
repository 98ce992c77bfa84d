import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { Pool, type PoolClient } from 'pg';
import { open, type Entry, type ZipFile } from 'yauzl';
import { columnsOf, quoted, type Column } from './columns';
import { ARCHIVED, ARCHIVE_FORMAT, ARCHIVE_VERSION, type ArchivedTable } from './tables';

/** An archive that can't be read, in a sentence for the person who gave it. */
export class ArchiveFault extends Error {}

const AT_ONCE = 1_000;
const MOST_ENTRIES = 200;
/** No row is longer: the largest are lays of 10,000 pieces. */
const LONGEST_ROW = 64_000_000;

/**
 * Reads an archive into a workroom, in place of all that is in it, in one transaction: afterwards it is the same as the one that was
 * written. Anything that is wrong leaves the workroom as it was.
 */
export async function readArchive(databaseUrl: string, file: string): Promise<{ rows: number }> {
  const zip = await openZip(file);
  const pool = new Pool({ connectionString: databaseUrl, max: 1 });
  const client = await pool.connect();
  try {
    const entries = await entriesOf(zip);
    const counts = await check(zip, entries);
    await client.query(`BEGIN; SET LOCAL TIME ZONE 'UTC'`);
    await client.query(`TRUNCATE ${ARCHIVED.map(quoted).join(', ')} RESTART IDENTITY CASCADE`);
    // Values that triggers keep are in the archive as they were kept.
    for (const table of ARCHIVED) await client.query(`ALTER TABLE ${quoted(table)} DISABLE TRIGGER USER`);
    let rows = 0;
    for (const table of ARCHIVED) {
      const entry = entries.get(`tables/${table}.jsonl`);
      // An archive that is older than a table has none of it.
      if (!entry) continue;
      const own = await fill(client, table, await streamOf(zip, entry));
      if (counts[table] !== undefined && counts[table] !== own)
        throw new ArchiveFault(`The archive says that ${table} has ${counts[table]} rows, and it has ${own}.`);
      rows += own;
    }
    for (const table of ARCHIVED) {
      await client.query(`ALTER TABLE ${quoted(table)} ENABLE TRIGGER USER`);
      await goOnCounting(client, table);
    }
    await checkLedger(client);
    // Weeks begin and end by the clock of this workroom.
    await client.query('SET LOCAL TIME ZONE DEFAULT; SELECT sum_movements(); COMMIT');
    return { rows };
  } catch (error) {
    await client.query('ROLLBACK').catch(() => undefined);
    throw error instanceof ArchiveFault || !isOfContent(error)
      ? error
      : new ArchiveFault(`The archive holds something that a workroom can't: ${(error as Error).message}.`);
  } finally {
    client.release();
    await pool.end();
    zip.close();
  }
}

/** PostgreSQL's classes of errors for data that it refuses: wrong values, broken rules (appendix A of its manual). */
const isOfContent = (error: unknown): boolean => /^(22|23)/.test((error as { code?: string }).code ?? '');

function openZip(file: string): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    open(file, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, zip) => {
      if (!error) return resolve(zip);
      reject(
        (error as NodeJS.ErrnoException).code === 'ENOENT'
          ? new ArchiveFault(`There is no file ${file}.`)
          : new ArchiveFault('This is not an archive of a workroom: it is no zip file.'),
      );
    });
  });
}

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      if (entries.size > MOST_ENTRIES) return reject(new ArchiveFault('This is not an archive of a workroom.'));
      zip.readEntry();
    });
    zip.once('end', () => resolve(entries));
    zip.once('error', () => reject(new ArchiveFault('This archive is damaged.')));
    zip.readEntry();
  });
}

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) =>
      error ? reject(new ArchiveFault('This archive is damaged.')) : resolve(stream),
    );
  });

/** Tables without which nothing is a workroom. */
const NEEDED = ['settings', 'customers', 'cloths', 'orders', 'order_lines', 'batches', 'stock_items', 'movements'];

/** Looks at what an archive says of itself, before anything of it is read; how many rows each table has, as far as it says. */
async function check(zip: ZipFile, entries: ReadonlyMap<string, Entry>): Promise<Record<string, number>> {
  const about = entries.get('archive.json');
  if (!about || about.uncompressedSize > 100_000) throw new ArchiveFault('This is not an archive of a workroom.');
  const chunks: Buffer[] = [];
  for await (const chunk of await streamOf(zip, about)) chunks.push(chunk as Buffer);
  let read: { format?: unknown; version?: unknown; tables?: unknown; rows?: unknown };
  try {
    read = JSON.parse(Buffer.concat(chunks).toString('utf8')) as typeof read;
  } catch {
    throw new ArchiveFault('This is not an archive of a workroom.');
  }
  if (read.format !== ARCHIVE_FORMAT) throw new ArchiveFault('This is not an archive of a workroom.');
  if (read.version !== ARCHIVE_VERSION)
    throw new ArchiveFault(`This archive has version ${String(read.version)}; ${ARCHIVE_VERSION} is known.`);
  for (const name of entries.keys()) {
    const table = /^tables\/(.+)\.jsonl$/.exec(name)?.[1];
    if (table !== undefined && !(ARCHIVED as readonly string[]).includes(table))
      throw new ArchiveFault(
        `The archive holds a table that this version does not know: ${table}. Read it in with the version that wrote it, or a newer one.`,
      );
  }
  const gone = NEEDED.filter((table) => !entries.has(`tables/${table}.jsonl`));
  if (gone.length > 0)
    throw new ArchiveFault(`The archive is not whole: ${gone.join(', ')} ${gone.length === 1 ? 'is' : 'are'} missing.`);
  checkSizes(entries);
  const named = new Set(Array.isArray(read.tables) ? (read.tables as unknown[]) : ARCHIVED);
  const missing = ARCHIVED.filter((table) => named.has(table) && !entries.has(`tables/${table}.jsonl`));
  if (missing.length > 0)
    throw new ArchiveFault(
      `The archive is not whole: ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} missing.`,
    );
  const rows = read.rows;
  return typeof rows === 'object' && rows !== null ? (rows as Record<string, number>) : {};
}

/** No member unpacks to more (bytes), and none that is large was packed so closely as only a hostile one is. */
const MOST_MEMBER = 8e9;
const LARGE_MEMBER = 50e6;
const CLOSEST = 400;

function checkSizes(entries: ReadonlyMap<string, Entry>) {
  for (const { fileName, uncompressedSize, compressedSize } of entries.values())
    if (
      uncompressedSize > MOST_MEMBER ||
      (uncompressedSize > LARGE_MEMBER && uncompressedSize > CLOSEST * compressedSize)
    )
      throw new ArchiveFault(`${fileName} would unpack to more than a workroom holds.`);
}

/** Each item's balance must be the sum of its movements: what came in, less what went, and what of it is reserved. */
async function checkLedger(client: PoolClient) {
  const { rows } = await client.query<{ code: string; on_hand: string; reserved: string; sum: string; held: string }>(`
    SELECT i.code, i.on_hand, i.reserved, s.sum, s.held FROM stock_items i LEFT JOIN LATERAL (
      SELECT coalesce(sum(CASE WHEN m.sort IN ('received', 'counted') THEN m.quantity WHEN m.sort IN ('cut', 'wasted', 'kept', 'used') THEN -m.quantity ELSE 0 END), 0) AS sum,
        coalesce(sum(CASE m.sort WHEN 'reserved' THEN m.quantity WHEN 'released' THEN -m.quantity ELSE 0 END), 0) AS held
      FROM movements m WHERE m.item_id = i.id) s ON true
    WHERE i.on_hand <> s.sum OR i.reserved <> s.held ORDER BY i.id LIMIT 3`);
  if (rows.length > 0)
    throw new ArchiveFault(
      `The ledger of the archive is broken: ${rows.map(({ code, on_hand, sum }) => `${code} has ${on_hand} by its balance and ${sum} by its movements`).join('; ')}.`,
    );
}

/** Writes the rows of a table as they come; an array of JSON texts at a time. */
async function fill(client: PoolClient, table: ArchivedTable, stream: Readable): Promise<number> {
  const columns = (await columnsOf(client, table)).filter(({ isGenerated }) => !isGenerated);
  const known = new Set(columns.map(({ name }) => name));
  let insert: string | null = null;
  let rows = 0;
  let some: string[] = [];
  const write = async () => {
    if (some.length > 0) await client.query((insert ??= insertOf(table, columns, some[0]!)), [`[${some.join(',')}]`]);
    rows += some.length;
    some = [];
  };
  try {
    for await (const line of createInterface({ input: stream, crlfDelay: Infinity })) {
      if (line.length > LONGEST_ROW) throw new ArchiveFault(`A row of ${table} is too long.`);
      if (line !== '') some.push(withKnownColumns(table, line, known));
      if (some.length >= AT_ONCE) await write();
    }
  } catch (error) {
    if (error instanceof ArchiveFault || (error as { severity?: string }).severity) throw error;
    throw new ArchiveFault('This archive is damaged.');
  }
  await write();
  return rows;
}

/** Columns that earlier versions wrote, and that nothing reads any more. */
const NO_LONGER: Readonly<Record<string, readonly string[]>> = {};

/** A row as it stands, once nothing in it would be lost. */
function withKnownColumns(table: ArchivedTable, line: string, known: ReadonlySet<string>): string {
  let row: object;
  try {
    row = JSON.parse(line) as object;
  } catch {
    throw new ArchiveFault(`A row of ${table} can’t be read.`);
  }
  const strange = Object.keys(row).find((name) => !known.has(name) && !NO_LONGER[table]?.includes(name));
  if (strange !== undefined)
    throw new ArchiveFault(`${table} holds a column that this version does not know: ${strange}.`);
  return line;
}

/** Rows of an archive that is older than a column have none of it, and get what the database says of them. */
function insertOf(table: ArchivedTable, columns: readonly Column[], row: string): string {
  let members: Set<string> | null = null;
  try {
    members = new Set(Object.keys(JSON.parse(row) as object));
  } catch {
    // The database says what is wrong with it.
  }
  const list = columns
    .filter(({ name }) => members?.has(name) ?? true)
    .map(({ name }) => quoted(name))
    .join(', ');
  return `INSERT INTO ${quoted(table)} (${list}) OVERRIDING SYSTEM VALUE
    SELECT ${list} FROM json_populate_recordset(NULL::${quoted(table)}, $1::json)`;
}

/** New records get numbers after those of the archive. */
async function goOnCounting(client: PoolClient, table: ArchivedTable) {
  for (const { name, isIdentity } of await columnsOf(client, table))
    if (isIdentity)
      await client.query(
        `SELECT setval(pg_get_serial_sequence($1, $2), greatest(1, (SELECT coalesce(max(${quoted(name)}), 0) FROM ${quoted(table)})), (SELECT count(*) > 0 FROM ${quoted(table)}))`,
        [table, name],
      );
}

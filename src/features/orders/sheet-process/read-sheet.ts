import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import yauzl from 'yauzl';
import { MOST_SHEET_BYTES, MOST_SHEET_ROWS, type Sheet } from '@/core/files/order-sheet';
import { ok, refuse, type Result } from '@/core/result';

// Reads a table file; in the application in a process of its own (sheet-child).

interface SheetTask {
  bytes: Uint8Array;
}

const MOST_UNPACKED = 80_000_000;
/** Limit of a workbook's sheets together: each takes memory, whatever stands in it. */
const MOST_CELLS = 1_000_000;
const MOST_COLUMNS = 200;
const MOST_CELL = 4000;
/** Parts of a worksheet beside its cells. */
const PASSED_OVER = [
  'dataValidations',
  'mergeCells',
  'conditionalFormatting',
  'cols',
  'sheetViews',
  'hyperlinks',
  'drawing',
  'legacyDrawing',
  'tableParts',
  'autoFilter',
  'extLst',
  'rowBreaks',
  'colBreaks',
  'pageSetup',
  'headerFooter',
];
const XLSX = [0x50, 0x4b, 0x03, 0x04];
const OLD_XLS = [0xd0, 0xcf, 0x11, 0xe0];

const startsWith = (bytes: Uint8Array, signature: readonly number[]) => signature.every((byte, i) => bytes[i] === byte);
const no = (message: string) => refuse('sheet', 'file', message);

/** The table of a CSV, TSV or XLSX file as texts, or one sentence why not. */
export default async function readSheet({ bytes }: SheetTask): Promise<Result<Sheet>> {
  if (bytes.length > MOST_SHEET_BYTES) return no(`The file is larger than ${MOST_SHEET_BYTES / 1e6} MB; split it.`);
  if (bytes.length === 0) return no('The file is empty.');
  if (startsWith(bytes, OLD_XLS)) return no('This is an old .xls workbook; save it as .xlsx or CSV and try again.');
  try {
    return startsWith(bytes, XLSX) ? await readWorkbook(bytes) : readText(bytes);
  } catch {
    return no('The file can’t be read as a table: it is damaged, or not a CSV or XLSX file.');
  }
}

function readText(bytes: Uint8Array): Result<Sheet> {
  const encoding = bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : 'utf-8';
  let text: string;
  try {
    text = new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    // Spreadsheets on some machines still write the Western code page.
    text = new TextDecoder('windows-1252').decode(bytes);
  }

  if (/[\u0000-\u0008\u000e-\u001f]/.test(text))
    return no('This is not a table of text: it is not a CSV or XLSX file.');
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
    skipEmptyLines: 'greedy',
    preview: MOST_SHEET_ROWS + 2,
  });
  return toSheet(data);
}

async function readWorkbook(bytes: Uint8Array): Promise<Result<Sheet>> {
  const tooMuch = await tooLarge(Buffer.from(bytes));
  if (tooMuch) return no(tooMuch);
  const book = new ExcelJS.Workbook();
  // Only cells are read: what a sheet has for people's eyes or hands can be made to grow without end.
  const options = { ignoreNodes: PASSED_OVER, maxRows: 4 * MOST_SHEET_ROWS, maxCols: 10 * MOST_COLUMNS };
  await book.xlsx.load(Buffer.from(bytes) as unknown as ArrayBuffer, options as Partial<ExcelJS.XlsxReadOptions>);
  const sheet = book.worksheets.find(({ state, rowCount }) => state === 'visible' && rowCount > 0);
  if (!sheet) return no('The workbook has no sheet with anything on it.');
  if (sheet.rowCount > 4 * MOST_SHEET_ROWS || sheet.columnCount > 10 * MOST_COLUMNS)
    return no(
      `The sheet has ${sheet.rowCount.toLocaleString('en')} rows and ${sheet.columnCount} columns; at most ${MOST_SHEET_ROWS.toLocaleString('en')} rows are read.`,
    );
  const rows: string[][] = [];
  sheet.eachRow({ includeEmpty: false }, (row) => {
    const cells: string[] = [];
    row.eachCell({ includeEmpty: false }, (cell, column) => {
      if (column > MOST_COLUMNS) return;
      while (cells.length < column - 1) cells.push('');
      cells[column - 1] = cellText(cell);
    });
    if (cells.some((cell) => cell.trim())) rows.push(cells);
  });
  return toSheet(rows);
}

/** A cell as a person would write it; a formula keeps its sign, so that it is told and never worked out. */
function cellText(cell: ExcelJS.Cell): string {
  const { value } = cell;
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value !== 'object') return String(value);
  if ('formula' in value || 'sharedFormula' in value) return `=${cell.formula ?? ''}`;
  if ('richText' in value) return value.richText.map(({ text }) => text).join('');
  if ('text' in value) return String(value.text);
  return 'error' in value ? String(value.error) : '';
}

function toSheet(rows: string[][]): Result<Sheet> {
  const [columns, ...rest] = rows;
  if (!columns || columns.every((column) => column.trim() === '')) return no('The first row must name the columns.');
  if (columns.length > MOST_COLUMNS)
    return no(`The table has ${columns.length} columns; at most ${MOST_COLUMNS} are read.`);
  if (rest.length === 0) return no('Below the names of the columns there is nothing.');
  if (rest.length > MOST_SHEET_ROWS)
    return no(`The table has more than ${MOST_SHEET_ROWS.toLocaleString('en')} rows; split it.`);
  const cut = (cell: string | undefined) => (cell ?? '').slice(0, MOST_CELL);
  return ok({ columns: columns.map(cut), rows: rest.map((row) => columns.map((_, i) => cut(row[i]))) });
}

/** The cells that begin in a piece of a worksheet's XML; `before` holds the two bytes in front of it, and is moved on. */
function countCells(chunk: Buffer, before: number[]): number {
  let [first, second] = before as [number, number];
  let cells = 0;
  for (const byte of chunk) {
    if (first === 0x3c && second === 0x63 && (byte === 0x20 || byte === 0x3e || byte === 0x2f)) cells++;
    first = second;
    second = byte;
  }
  before.splice(0, 2, first, second);
  return cells;
}

/** Why a packed workbook is too large to be read, found by unpacking it without keeping anything; null where it is not. */
function tooLarge(bytes: Buffer): Promise<string | null> {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      let [total, cells] = [0, 0];
      const size = `The workbook unpacks to more than ${MOST_UNPACKED / 1e6} MB; that is no order list.`;
      zip.on('error', reject);
      zip.on('end', () => resolve(null));
      zip.on('entry', (entry: yauzl.Entry) => {
        if (total + entry.uncompressedSize > MOST_UNPACKED) return resolve(size);
        zip.openReadStream(entry, (failure, stream) => {
          if (failure) return reject(failure);
          const before = [0, 0];
          stream.on('data', (chunk: Buffer) => {
            total += chunk.length;
            if (/^xl\/worksheets\//i.test(entry.fileName)) cells += countCells(chunk, before);
            if (total <= MOST_UNPACKED && cells <= MOST_CELLS) return;
            stream.destroy();
            resolve(
              total > MOST_UNPACKED
                ? size
                : `The workbook has more than ${MOST_CELLS.toLocaleString('en')} cells; that is no order list.`,
            );
          });
          stream.on('error', reject);
          stream.on('end', () => zip.readEntry());
        });
      });
      zip.readEntry();
    });
  });
}

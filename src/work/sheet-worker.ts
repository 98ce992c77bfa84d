import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import yauzl from 'yauzl';
import { MOST_SHEET_BYTES, MOST_SHEET_ROWS, type Sheet } from '@/core/files/order-sheet';
import { ok, refuse, type Result } from '@/core/result';

// Reads a table file; in the application in a process of its own (sheet-child).

export interface SheetTask {
  bytes: Uint8Array;
}

const MOST_UNPACKED = 80_000_000;
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
  const size = await unpackedSize(Buffer.from(bytes));
  if (size === null) return no(`The workbook unpacks to more than ${MOST_UNPACKED / 1e6} MB; that is no order list.`);
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

/** What a packed file comes to when it is unpacked, by unpacking it without keeping anything; null when that is too much. */
function unpackedSize(bytes: Buffer): Promise<number | null> {
  return new Promise((resolve, reject) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      let total = 0;
      zip.on('error', reject);
      zip.on('end', () => resolve(total));
      zip.on('entry', (entry: yauzl.Entry) => {
        if (total + entry.uncompressedSize > MOST_UNPACKED) return resolve(null);
        zip.openReadStream(entry, (failure, stream) => {
          if (failure) return reject(failure);
          stream.on('data', (chunk: Buffer) => {
            total += chunk.length;
            if (total > MOST_UNPACKED) {
              stream.destroy();
              resolve(null);
            }
          });
          stream.on('error', reject);
          stream.on('end', () => zip.readEntry());
        });
      });
      zip.readEntry();
    });
  });
}

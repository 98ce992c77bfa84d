import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { cellText, cellValue, type Cell } from '@/core/files/cell';
import { exportStream } from './export-pool';

/** A file to be taken along. */
export interface TableFile {
  bytes: string | Uint8Array;
  type: string;
  name: string;
}

export const TYPES = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  zip: 'application/zip',
};

/** A table, its head first, for a spreadsheet. What would be a formula in a cell is a text. */
export async function asFile(
  rows: readonly (readonly Cell[])[],
  title: string,
  as: 'csv' | 'xlsx',
  name: string,
): Promise<TableFile> {
  if (as === 'csv') {
    const text = Papa.unparse(
      rows.map((row) => row.map(cellText)),
      { newline: '\r\n', escapeFormulae: true },
    );
    return { bytes: `\ufeff${text}\r\n`, type: TYPES.csv, name: `${name}.csv` };
  }
  const book = new ExcelJS.Workbook();
  // The names of sheets are short and without some signs.
  const sheet = book.addWorksheet(title.replace(/[\\/*?:[\]]/g, ' ').slice(0, 31) || 'list', {
    views: [{ state: 'frozen', ySplit: 1 }],
  });
  for (const cells of rows) {
    const values = cells.map(cellValue);
    // Cells are values: a text that begins like a formula stays a text.
    const row = sheet.addRow(values.map(({ value }) => value));
    values.forEach(({ format }, i) => {
      if (format) row.getCell(i + 1).numFmt = format;
    });
  }
  sheet.getRow(1).font = { bold: true };
  return { bytes: new Uint8Array(await book.xlsx.writeBuffer()), type: TYPES.xlsx, name: `${name}.xlsx` };
}

const headersOf = (type: string, name: string) => ({
  'content-type': type,
  'content-disposition': `attachment; filename="${name}"`,
  'cache-control': 'no-store',
});

/** The answer that gives a file to whoever asked for it. */
export const fileAnswer = ({ bytes, type, name }: TableFile): Response =>
  new Response(typeof bytes === 'string' ? bytes : new Uint8Array(bytes), { headers: headersOf(type, name) });

/** The answer that gives an export of the whole workroom as it is written. `args`: what `export-child.ts` is asked for. */
export async function exportAnswer(args: readonly string[], type: string, name: string): Promise<Response> {
  const stream = await exportStream(args);
  if (stream) return new Response(stream, { headers: headersOf(type, name) });
  return Response.json({ error: 'Too many files are being written; try again in a minute.' }, { status: 503 });
}

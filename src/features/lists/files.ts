import ExcelJS from 'exceljs';
import Papa from 'papaparse';

/** A file to be taken along. */
export interface TableFile {
  bytes: string | Uint8Array;
  type: string;
  name: string;
}

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** A table, its head first, for a spreadsheet. What would be a formula in a cell is a text. */
export async function asFile(
  rows: readonly (readonly (string | number)[])[],
  title: string,
  as: 'csv' | 'xlsx',
  name: string,
): Promise<TableFile> {
  if (as === 'csv') {
    const text = Papa.unparse(rows as (string | number)[][], { newline: '\r\n', escapeFormulae: true });
    return { bytes: `\ufeff${text}\r\n`, type: 'text/csv; charset=utf-8', name: `${name}.csv` };
  }
  const book = new ExcelJS.Workbook();
  // The names of sheets are short and without some signs.
  const sheet = book.addWorksheet(title.replace(/[\\/*?:[\]]/g, ' ').slice(0, 31) || 'list');
  // Cells are values: a text that begins like a formula stays a text.
  sheet.addRows(rows as (string | number)[][]);
  sheet.getRow(1).font = { bold: true };
  return { bytes: new Uint8Array(await book.xlsx.writeBuffer()), type: XLSX, name: `${name}.xlsx` };
}

/** The answer that gives a file to whoever asked for it. */
export const fileAnswer = ({ bytes, type, name }: TableFile): Response =>
  new Response(typeof bytes === 'string' ? bytes : new Uint8Array(bytes), {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"`, 'cache-control': 'no-store' }, // prettier-ignore
  });

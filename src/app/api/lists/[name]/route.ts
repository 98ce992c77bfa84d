import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { listRows } from '@/features/lists/lists';

export const dynamic = 'force-dynamic';

/** A list as a file for a spreadsheet: `?as=csv`, or `?as=xlsx`. What would be a formula in a cell is a text. */
export async function GET(request: Request, { params }: { params: Promise<{ name: string }> }) {
  const { name } = await params;
  const rows = await listRows(name);
  if (!rows) return Response.json({ error: 'There is no such list.' }, { status: 404 });
  const as = new URL(request.url).searchParams.get('as') === 'xlsx' ? 'xlsx' : 'csv';
  const head = { 'content-disposition': `attachment; filename="${name}.${as}"`, 'cache-control': 'no-store' };
  if (as === 'csv') {
    const text = Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true });
    return new Response(`\ufeff${text}\r\n`, { headers: { ...head, 'content-type': 'text/csv; charset=utf-8' } });
  }
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(name);
  // Cells are values: a text that begins like a formula stays a text.
  sheet.addRows(rows);
  sheet.getRow(1).font = { bold: true };
  const bytes = await book.xlsx.writeBuffer();
  return new Response(bytes as ArrayBuffer, { headers: { ...head, 'content-type': 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet' } }); // prettier-ignore
}

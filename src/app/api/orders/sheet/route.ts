import { readBody } from '@/app/api/body';
import { MOST_SHEET_BYTES } from '@/core/files';
import { readSheetFile } from '@/features/orders/sheet-process/pool';

/** Reads a CSV, TSV or XLSX file into rows of texts; nothing is kept. */
export async function POST(request: Request) {
  const bytes = await readBody(request, 'application/octet-stream', MOST_SHEET_BYTES);
  if (bytes instanceof Response) return bytes;
  return Response.json(await readSheetFile(bytes));
}

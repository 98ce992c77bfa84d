import { readBody } from '@/app/api/body';
import { importSheet } from '@/features/orders/import';
import { readImport } from '@/features/orders/rules';

const MOST_BYTES = 40_000_000;

/** Brings the good rows of a sheet in as orders; a request that is called off brings in nothing. */
export async function POST(request: Request) {
  const bytes = await readBody(request, 'application/json', MOST_BYTES);
  if (bytes instanceof Response) return bytes;
  const read = readImport(new TextDecoder().decode(bytes));
  if ('faults' in read) return Response.json({ ok: false, faults: read.faults }, { status: 400 });
  return Response.json(await importSheet(read.value, request.signal, request.headers.get('x-request-id') ?? undefined));
}

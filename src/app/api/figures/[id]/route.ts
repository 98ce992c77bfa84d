import Papa from 'papaparse';
import { figure } from '@/features/figures/queries';

export const dynamic = 'force-dynamic';

/** A figure's table as CSV. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const found = await figure(id);
  if (!found) return Response.json({ error: 'There is no such figure.' }, { status: 404 });
  const head = found.columns.map((name, i) => (i === 0 ? name : `${name} (${found.unit})`));
  const text = Papa.unparse([head, ...found.rows.map(({ category, values }) => [category, ...values])], {
    newline: '\r\n',
    escapeFormulae: true,
  });
  return new Response(`\ufeff${text}\r\n`, {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${id}.csv"` },
  });
}

import Papa from 'papaparse';
import { readId } from '@/app/params';
import { PART_NAMES } from '@/features/money/part-names';
import { orderCost } from '@/features/money/queries';
import { exponentOf } from '@/core/cost';

export const dynamic = 'force-dynamic';

/** The cost of an order line by line, as CSV. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const cost = await orderCost(readId((await params).id));
  if (!cost || 'message' in cost) return Response.json({ error: 'There is no such cost.' }, { status: 404 });
  const { lines, currency, total } = cost.now;
  const unit = 10 ** exponentOf(currency);
  const rows = [
    ['Part', 'What', 'Sum', currency],
    ...lines.map(({ part, what, sum, amount }) => [PART_NAMES[part], what, sum, amount / unit]),
    ['', 'In all', '', total / unit],
  ];
  return new Response(`\ufeff${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })}\r\n`, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="cost-${cost.order.no}.csv"`,
    },
  });
}

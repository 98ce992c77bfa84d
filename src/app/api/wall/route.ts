import { idFrom } from '@/features/commands/ids';
import { wallCells } from '@/features/figures/wall';
import { jsonLines } from '@/app/api/json-lines';

export const dynamic = 'force-dynamic';

/** The lengths of the chart for the wall, one JSON object a line as each is laid: `?kind=zip-cushion&cloth=3&qty=1`. */
export function GET(request: Request) {
  const query = new URL(request.url).searchParams;
  const qty = Math.min(20, Math.max(1, idFrom(query.get('qty') ?? '1') ?? 1));
  const cloth = idFrom(query.get('cloth') ?? '');
  return jsonLines(request, (tell) => wallCells(query.get('kind') ?? '', cloth, qty, request.signal, tell));
}

import { getRoomToAsk } from '@/features/days/queries';

export const dynamic = 'force-dynamic';

/** The room as an order meets it that is asked about; `?without=` the order itself, where it is stored already. */
export async function GET(request: Request) {
  const text = new URL(request.url).searchParams.get('without') ?? '';
  const without = /^[1-9]\d{0,8}$/.test(text) ? Number(text) : undefined;
  return Response.json(await getRoomToAsk(without), { headers: { 'cache-control': 'no-store' } });
}

import { proposeCustomers } from '@/features/orders/queries';
import { queryText } from '@/features/commands/texts';

export const dynamic = 'force-dynamic';

/** Names of customers for what has been typed so far: `?q=ket`. */
export async function GET(request: Request) {
  const typed = queryText(new URL(request.url).searchParams.get('q') ?? '').slice(0, 120);
  return Response.json(await proposeCustomers(typed));
}

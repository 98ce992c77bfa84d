import { getRoom } from '@/features/room/queries';

export const dynamic = 'force-dynamic';

/** The room as it is now, for the pages that show it. */
export async function GET() {
  return Response.json(await getRoom());
}

import { idFrom } from '@/features/commands/ids';
import { linesOfCloth } from '@/features/batches/queries';

export const dynamic = 'force-dynamic';

/** The lines of one cloth's faces, `?cloth=3`: those that wait, or with `&batch=7` those in a batch. */
export async function GET(request: Request) {
  const query = new URL(request.url).searchParams;
  const cloth = idFrom(query.get('cloth') ?? '');
  const given = query.get('batch');
  const batch = given === null ? null : idFrom(given);
  if (cloth === null || (given !== null && batch === null))
    return Response.json({ error: 'Say of which cloth, as a number.' }, { status: 400 });
  return Response.json(await linesOfCloth(batch, cloth));
}

import { takenTogether } from '@/features/batches/suggestions';
import { idFrom } from '@/features/commands/ids';

export const dynamic = 'force-dynamic';

const MOST_LINES = 500;

/** Length and cost of lines cut together, cloth by cloth: `?lines=3,7,12`. */
export async function GET(request: Request) {
  const text = new URL(request.url).searchParams.get('lines') ?? '';
  const ids = text.split(',').map(idFrom);
  if (ids.length > MOST_LINES || ids.some((id) => id === null))
    return Response.json({ error: `Name at most ${MOST_LINES} lines by their numbers.` }, { status: 400 });
  const taken = await takenTogether(ids as number[]);
  return Response.json('message' in taken ? { message: taken.message } : { cloths: taken });
}

import { readId } from '@/app/params';
import { batchProgress } from '@/features/batches/queries';

export const dynamic = 'force-dynamic';

export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const progress = await batchProgress(readId((await params).id));
  return progress ? Response.json(progress) : Response.json({ error: 'There is no such batch.' }, { status: 404 });
}

import { readId } from '@/app/params';
import { cutterView } from '@/features/machines/cutter-jobs';

export const dynamic = 'force-dynamic';

/** How a lay stands at the workroom's cutter; null where it was not sent there. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string; cloth: string }> }) {
  const { id, cloth } = await params;
  return Response.json(await cutterView(readId(id), readId(cloth)));
}

import { readKept } from '@/app/api/kept-request';
import { readId } from '@/app/params';
import { runCommand } from '@/features/commands/command';
import { takeRunEntries } from '@/features/sewing/commands';
import { getRunState } from '@/features/sewing/queries';

export const dynamic = 'force-dynamic';

type Params = { params: Promise<{ id: string }> };

/** How a run stands: for devices that look again. */
export async function GET(_request: Request, { params }: Params) {
  const state = await getRunState(readId((await params).id));
  return state ? Response.json(state) : Response.json({ error: 'There is no such run.' }, { status: 404 });
}

/** Takes what a device noted while somebody sewed: `{ request, entries }`. The same request twice does nothing twice. */
export async function POST(request: Request, { params }: Params) {
  const { id } = await params;
  const sent = await readKept(request);
  if (sent instanceof Response) return sent;
  const answer = await runCommand(takeRunEntries, { runId: Number(id), entries: sent.entries }, sent.request);
  return Response.json(answer, { status: answer.ok ? 200 : 422 });
}

import { readKept } from '@/app/api/kept-request';
import { readId } from '@/app/params';
import { runCommand } from '@/features/commands/command';
import { takeCheckEntries } from '@/features/checking/commands';
import { getCheckState } from '@/features/checking/queries';

export const dynamic = 'force-dynamic';

type Params = { params: Promise<{ line: string }> };

/** How the check of a line stands: for devices that look again. */
export async function GET(_request: Request, { params }: Params) {
  const state = await getCheckState(readId((await params).line));
  return state ? Response.json(state) : Response.json({ error: 'There is no such line.' }, { status: 404 });
}

/** Takes what a device noted while somebody checked: `{ request, entries }`. The same request twice does nothing twice. */
export async function POST(request: Request, { params }: Params) {
  const { line } = await params;
  const sent = await readKept(request);
  if (sent instanceof Response) return sent;
  const answer = await runCommand(takeCheckEntries, { lineId: Number(line), entries: sent.entries }, sent.request);
  return Response.json(answer, { status: answer.ok ? 200 : 422 });
}

import { readKept } from '@/app/api/kept-request';
import { readId } from '@/app/params';
import { runCommand } from '@/features/commands/command';
import { takeEntries } from '@/features/cutting/entries';
import { getSheetState } from '@/features/cutting/sheet-queries';

export const dynamic = 'force-dynamic';

type Params = { params: Promise<{ id: string; cloth: string }> };

/** How a cutting sheet stands: for devices that look again. */
export async function GET(_request: Request, { params }: Params) {
  const { id, cloth } = await params;
  const state = await getSheetState(readId(id), readId(cloth));
  return state ? Response.json(state) : Response.json({ error: 'There is no such lay.' }, { status: 404 });
}

/** Takes what a device noted while somebody cut: `{ request, version, entries }`. The same request twice does nothing twice. */
export async function POST(request: Request, { params }: Params) {
  const { id, cloth } = await params;
  const sent = await readKept(request);
  if (sent instanceof Response) return sent;
  const { version: layVersion, entries } = sent;
  const answer = await runCommand(
    takeEntries,
    { batchId: Number(id), clothId: Number(cloth), layVersion, entries },
    sent.request,
  );
  return Response.json(answer, { status: answer.ok ? 200 : 422 });
}

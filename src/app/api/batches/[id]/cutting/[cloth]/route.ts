import { readBody } from '@/app/api/body';
import { readId } from '@/app/params';
import { runCommand } from '@/features/commands/command';
import { takeEntries } from '@/features/cutting/entries';
import { getSheetState } from '@/features/cutting/sheet-queries';

export const dynamic = 'force-dynamic';

type Params = { params: Promise<{ id: string; cloth: string }> };
/** 200 entries with all that may stand in them. */
const MOST_BYTES = 400_000;

/** How a cutting sheet stands: for devices that look again. */
export async function GET(_request: Request, { params }: Params) {
  const { id, cloth } = await params;
  const state = await getSheetState(readId(id), readId(cloth));
  return state ? Response.json(state) : Response.json({ error: 'There is no such lay.' }, { status: 404 });
}

/** Takes what a device noted while somebody cut: `{ request, version, entries }`. The same request twice does nothing twice. */
export async function POST(request: Request, { params }: Params) {
  const { id, cloth } = await params;
  const body = await readBody(request, 'application/json', MOST_BYTES);
  if (body instanceof Response) return body;
  let sent: { request?: unknown; version?: unknown; entries?: unknown };
  try {
    sent = (JSON.parse(new TextDecoder().decode(body)) ?? {}) as typeof sent;
  } catch {
    return Response.json({ error: 'What the device sent can’t be read.' }, { status: 400 });
  }
  const { version: layVersion, entries } = sent;
  const which = typeof sent.request === 'string' ? sent.request : undefined;
  const answer = await runCommand(
    takeEntries,
    { batchId: Number(id), clothId: Number(cloth), layVersion, entries },
    which,
  );
  return Response.json(answer, { status: answer.ok ? 200 : 422 });
}

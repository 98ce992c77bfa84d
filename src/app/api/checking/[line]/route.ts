import { readBody } from '@/app/api/body';
import { readId } from '@/app/params';
import { runCommand } from '@/features/commands/command';
import { takeCheckEntries } from '@/features/checking/commands';
import { getCheckState } from '@/features/checking/queries';

export const dynamic = 'force-dynamic';

type Params = { params: Promise<{ line: string }> };
/** 200 entries with all that may stand in them. */
const MOST_BYTES = 600_000;

/** How the check of a line stands: for devices that look again. */
export async function GET(_request: Request, { params }: Params) {
  const state = await getCheckState(readId((await params).line));
  return state ? Response.json(state) : Response.json({ error: 'There is no such line.' }, { status: 404 });
}

/** Takes what a device noted while somebody checked: `{ request, entries }`. The same request twice does nothing twice. */
export async function POST(request: Request, { params }: Params) {
  const { line } = await params;
  const body = await readBody(request, 'application/json', MOST_BYTES);
  if (body instanceof Response) return body;
  let sent: { request?: unknown; entries?: unknown };
  try {
    sent = (JSON.parse(new TextDecoder().decode(body)) ?? {}) as typeof sent;
  } catch {
    return Response.json({ error: 'What the device sent can’t be read.' }, { status: 400 });
  }
  const which = typeof sent.request === 'string' ? sent.request : undefined;
  const answer = await runCommand(takeCheckEntries, { lineId: Number(line), entries: sent.entries }, which);
  return Response.json(answer, { status: answer.ok ? 200 : 422 });
}

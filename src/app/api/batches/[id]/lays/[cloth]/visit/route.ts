import { readBody } from '@/app/api/body';
import { readId } from '@/app/params';
import { visitTable } from '@/features/table/visits';

export const dynamic = 'force-dynamic';

/** A page says that it has a table open, and hears who else has and which version of the lay is saved. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string; cloth: string }> }) {
  const { id, cloth } = await params;
  const body = await readBody(request, 'application/json', 1_000);
  if (body instanceof Response) return body;
  const others = await visitTable(readId(id), readId(cloth), new TextDecoder().decode(body));
  return others ? Response.json(others) : Response.json({ error: 'There is no such lay.' }, { status: 404 });
}

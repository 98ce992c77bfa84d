import { readBody } from '@/app/api/body';
import { readId } from '@/app/params';
import { jobsOfWays } from '@/features/table/ways';

export const dynamic = 'force-dynamic';

/** The jobs of some other ways of laying a cloth, to be laid in the browser. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string; cloth: string }> }) {
  const { id, cloth } = await params;
  const body = await readBody(request, 'application/json', 20_000);
  if (body instanceof Response) return body;
  let asked: unknown;
  try {
    asked = JSON.parse(new TextDecoder().decode(body));
  } catch {
    return Response.json({ error: 'The ways can’t be read.' }, { status: 400 });
  }
  const jobs = await jobsOfWays(readId(id), readId(cloth), asked);
  return jobs
    ? Response.json(jobs)
    : Response.json({ error: 'There is no such lay, or no such way.' }, { status: 404 });
}

import { readId } from '@/app/params';
import { layDocument } from '@/features/table/queries';

export const dynamic = 'force-dynamic';

/** The lay job or the lay plan of a lay as a file in its open format (docs/formats/lay-job.md). */
export async function GET(_: Request, { params }: { params: Promise<{ id: string; cloth: string; what: string }> }) {
  const { id, cloth, what } = await params;
  const found = what === 'job' || what === 'plan' ? await layDocument(readId(id), readId(cloth), what) : null;
  if (!found) return Response.json({ error: 'There is no such lay.' }, { status: 404 });
  return new Response(JSON.stringify(found.document, null, 1), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="lay-${readId(id)}-${readId(cloth)}-${what}.json"`,
    },
  });
}

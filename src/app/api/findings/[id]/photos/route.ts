import { readBody } from '@/app/api/body';
import { keepFindingPhoto, MOST_UPLOADED, readFindingPhoto } from '@/features/checking/photos';

export const dynamic = 'force-dynamic';

const refused = (message: string, status: number) =>
  Response.json({ ok: false, faults: [{ code: 'refused', field: 'photo', message }] }, { status });

/** A photograph of a finding: the picture alone as the body. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  if (!/^[0-9a-f-]{36}$/.test(id)) return refused('There is no such finding.', 404);
  if (!(Number(request.headers.get('content-length')) <= MOST_UPLOADED))
    return refused('A photograph may have at most 20 MB; make it smaller.', 413);
  const body = await readBody(request, request.headers.get('content-type') ?? 'image/jpeg', MOST_UPLOADED);
  if (body instanceof Response) return refused('The picture did not come through: try again.', 400);
  const photo = await readFindingPhoto(body);
  if (!photo.ok) return Response.json(photo, { status: 422 });
  const kept = await keepFindingPhoto(id, photo.value);
  return Response.json(kept, { status: kept.ok ? 200 : 422 });
}

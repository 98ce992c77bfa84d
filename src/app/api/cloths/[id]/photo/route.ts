import { readId } from '@/app/params';
import { keepClothPhoto, MOST_UPLOADED, readClothPhoto } from '@/features/cloth/photo';

export const dynamic = 'force-dynamic';

const refused = (message: string, status = 400) =>
  Response.json({ ok: false, faults: [{ code: 'refused', field: 'photo', message }] }, { status });

/** A photograph of a cloth with what was marked on it. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = readId((await params).id);
  // A form without its length is not read at all.
  if (!(Number(request.headers.get('content-length')) <= MOST_UPLOADED + 10_000))
    return refused('A picture may have at most 16 MB; make it smaller.', 413);
  let form: FormData;
  let marks: unknown;
  try {
    form = await request.formData();
    marks = JSON.parse(String(form.get('marks')));
  } catch {
    return refused('The picture and its marks can’t be read.');
  }
  const photo = form.get('photo');
  if (!(photo instanceof Blob)) return refused('There is no picture in it.');
  const kept = await readClothPhoto(new Uint8Array(await photo.arrayBuffer()), marks);
  if (!kept.ok) return Response.json(kept, { status: 422 });
  return Response.json(await keepClothPhoto({ id, version: Number(form.get('version')), kept: kept.value }));
}

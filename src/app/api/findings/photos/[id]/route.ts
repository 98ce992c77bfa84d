import { readId } from '@/app/params';
import { getFindingPhoto } from '@/features/checking/photos';

/** A photograph of a finding, as it is kept. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const photo = await getFindingPhoto(readId((await params).id));
  if (!photo) return Response.json({ error: 'There is no such photograph.' }, { status: 404 });
  return new Response(photo, {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}

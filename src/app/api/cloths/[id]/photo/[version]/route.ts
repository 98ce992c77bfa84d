import { readId } from '@/app/params';
import { clothTile } from '@/features/cloth/photo';

/** One repeat of a cloth, drawn from its photograph; an address is of one picture for good. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string; version: string }> }) {
  const { id, version } = await params;
  const tile = await clothTile(readId(id), readId(version));
  if (!tile) return Response.json({ error: 'There is no such picture.' }, { status: 404 });
  return new Response(tile, {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}

import { Readable } from 'node:stream';
import { newestBackup } from '@/features/workroom/backup';

export const dynamic = 'force-dynamic';

/** The newest backup as a file, to be kept somewhere else. */
export function GET() {
  const found = newestBackup();
  if (!found) return Response.json({ error: 'There is no backup yet; make one first.' }, { status: 404 });
  return new Response(Readable.toWeb(found.stream() as Readable) as ReadableStream, {
    headers: {
      'content-type': 'application/octet-stream',
      'content-length': String(found.bytes),
      'content-disposition': `attachment; filename="${found.file}"`,
    },
  });
}

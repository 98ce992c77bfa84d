import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ArchiveFault, readArchive } from '@/archive/read-archive';
import { databaseUrl } from '@/db';
import { exportAnswer, TYPES } from '@/features/lists/files';

export const dynamic = 'force-dynamic';

const MOST_BYTES = 2_000_000_000;

const folder = () => mkdtemp(join(tmpdir(), 'jolly-bolt-'));

/** The whole workroom as one open archive. */
export const GET = () => exportAnswer(['archive'], TYPES.zip, 'workroom.zip');

/** Reads an archive in place of all that is in the workroom; anything that is wrong leaves it as it was. */
export async function POST(request: Request) {
  const refused = (status: number, message: string) =>
    Response.json({ ok: false, faults: [{ code: 'archive', field: 'file', message }] }, { status });
  if (request.headers.get('content-type')?.split(';')[0] !== 'application/zip')
    return refused(415, 'This must be sent as application/zip.');
  if (!request.body) return refused(400, 'There is no archive in this request.');
  const own = await folder();
  try {
    const file = join(own, 'workroom.zip');
    let size = 0;
    const bounded = async function* (source: AsyncIterable<Uint8Array>) {
      for await (const chunk of source) {
        size += chunk.length;
        if (size > MOST_BYTES)
          throw new ArchiveFault('The archive is larger than 2 GB; read it in with “npm run archive”.');
        yield chunk;
      }
    };
    await pipeline(Readable.fromWeb(request.body as never), bounded, createWriteStream(file));
    const { rows } = await readArchive(databaseUrl(), file);
    return Response.json({ ok: true, value: { rows } });
  } catch (error) {
    if (error instanceof ArchiveFault) return refused(400, error.message);
    console.error(error);
    return refused(500, 'The archive could not be read just now; the workroom is as it was.');
  } finally {
    await rm(own, { recursive: true, force: true });
  }
}

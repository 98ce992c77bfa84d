import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

export const dynamic = 'force-dynamic';

/** The service worker of the cutting sheets (src/offline/worker.ts), as it was bundled. */
export async function GET() {
  const text = await readFile(join(/*turbopackIgnore: true*/ process.cwd(), 'dist', 'offline.js'), 'utf8');
  return new Response(text, {
    headers: { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' },
  });
}

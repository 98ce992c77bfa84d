import { sql } from 'drizzle-orm';
import { database } from '@/db';

export const dynamic = 'force-dynamic';

/** The database is silent when it has not answered within this time (ms). */
const SILENT_MS = 3_000;

/** One question at a time: who asks meanwhile gets its answer, too. */
let asking: Promise<boolean> | null = null;
const isThere = (): Promise<boolean> =>
  (asking ??= database()
    .execute(sql`SELECT 1`)
    .then(
      () => true,
      () => false,
    )
    .finally(() => (asking = null)));

/** Answers 200 once the application reaches its database, and 503 when that is silent. */
export async function GET() {
  const silent = new Promise<boolean>((resolve) => setTimeout(resolve, SILENT_MS, false).unref());
  const ok = await Promise.race([isThere(), silent]);
  return Response.json({ ok }, { status: ok ? 200 : 503 });
}

import { sql } from 'drizzle-orm';
import { database } from '@/db';

export const dynamic = 'force-dynamic';

/** Answers once the application can reach its database. */
export async function GET() {
  try {
    await database().execute(sql`SELECT 1`);
    return Response.json({ ok: true });
  } catch {
    return Response.json({ ok: false }, { status: 503 });
  }
}

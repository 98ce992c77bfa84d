import 'server-only';
import { and, eq, gt, lt, ne, sql } from 'drizzle-orm';
import { database, schema } from '@/db';
import { personAtDevice } from '@/features/people/device';

/** A page that has not said for so long that it is open has been closed. */
const SEEN_WITHIN = sql`now() - interval '20 seconds'`;
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/**
 * Notes that a page has a lay's table open, and tells who else has, by name where they have said who they are, and which version of the
 * lay is saved; null when there is no such lay.
 */
export async function visitTable(
  batchId: number,
  clothId: number,
  body: string,
): Promise<{ others: string[]; version: number } | null> {
  const page = pageOf(body);
  const db = database();
  const { lays, people, tableVisits } = schema;
  const [lay] = await db
    .select({ version: lays.version })
    .from(lays)
    .where(and(eq(lays.batchId, batchId), eq(lays.clothId, clothId)));
  if (!lay) return null;
  if (page === null) return { others: [], version: lay.version };
  const person = await personAtDevice();
  const row = { page, batchId, clothId, personId: person?.id ?? null, seenAt: sql`now()` };
  await db.insert(tableVisits).values(row).onConflictDoUpdate({ target: tableVisits.page, set: row });
  await db.delete(tableVisits).where(lt(tableVisits.seenAt, sql`now() - interval '1 hour'`));
  const others = await db
    .select({ name: people.name })
    .from(tableVisits)
    .leftJoin(people, eq(people.id, tableVisits.personId))
    .where(
      and(
        eq(tableVisits.batchId, batchId),
        eq(tableVisits.clothId, clothId),
        ne(tableVisits.page, page),
        gt(tableVisits.seenAt, SEEN_WITHIN),
      ),
    );
  return { others: [...new Set(others.map(({ name }) => name ?? 'somebody'))].sort(), version: lay.version };
}

function pageOf(body: string): string | null {
  try {
    const { page } = JSON.parse(body) as { page?: unknown };
    return typeof page === 'string' && UUID.test(page) ? page : null;
  } catch {
    return null;
  }
}

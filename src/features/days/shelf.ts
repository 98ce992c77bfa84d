import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { minuteOf, shelfCloth, type ShelfCloth } from '@/core/schedule';
import { schema, type Reader } from '@/db';
import { toCloth } from '@/db/rows';

/** A delivery is there by that time of the day that the supplier named. From memory. */
const DELIVERED_BY = 'T12:00';

/** The cloths of the catalogue by id, with what is free of each and when more of it comes. */
export async function loadShelf(db: Reader): Promise<Map<string, ShelfCloth>> {
  const { awaited, cloths, stockItems } = schema;
  const rows = await db.select().from(cloths).where(eq(cloths.sort, 'cloth'));
  const free = await db
    .select({
      clothId: stockItems.clothId,
      free: sql<number>`sum(${stockItems.onHand} - ${stockItems.reserved})`.mapWith(Number),
    })
    .from(stockItems)
    .where(and(inArray(stockItems.sort, ['bolt', 'remnant']), sql`${stockItems.onHand} > 0`))
    .groupBy(stockItems.clothId);
  const coming = await db
    .select({ clothId: awaited.clothId, day: sql<string>`min(${awaited.day})::text` })
    .from(awaited)
    .where(isNull(awaited.closedAt))
    .groupBy(awaited.clothId);
  const freeOf = new Map(free.map((one) => [one.clothId, one.free]));
  const dayOf = new Map(coming.map((one) => [one.clothId, one.day]));
  return new Map(
    rows.map((row) => {
      const day = dayOf.get(row.id);
      const comes = day === undefined ? null : minuteOf(`${day}${DELIVERED_BY}`);
      return [String(row.id), shelfCloth(toCloth(row), freeOf.get(row.id) ?? 0, comes)];
    }),
  );
}

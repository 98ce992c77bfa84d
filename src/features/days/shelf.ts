import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { minuteOf, shelfCloth, type ShelfCloth, type ShelfNotion } from '@/core/schedule';
import { schema, type Reader } from '@/db';
import { toCloth } from '@/db/rows';
import { freeNotions, notionStock } from '@/features/materials/queries';

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
    rows.map((row) => [String(row.id), shelfCloth(toCloth(row), freeOf.get(row.id) ?? 0, comesOn(dayOf.get(row.id)))]),
  );
}

const comesOn = (day: string | undefined): number | null =>
  day === undefined ? null : minuteOf(`${day}${DELIVERED_BY}`);

/** The notions of the catalogue by id, with what is free of each and when more of it comes. */
export async function loadNotionShelf(db: Reader): Promise<Map<number, ShelfNotion>> {
  const { awaited } = schema;
  const rows = await notionStock(db);
  const freeOf = await freeNotions(db);
  const coming = await db
    .select({ materialId: awaited.materialId, day: sql<string>`min(${awaited.day})::text` })
    .from(awaited)
    .where(isNull(awaited.closedAt))
    .groupBy(awaited.materialId);
  const dayOf = new Map(coming.map((one) => [one.materialId, one.day]));
  return new Map(
    rows.map(({ id, name, sort, countedBy, lengthNm, widthNm, usualFor }) => [
      id,
      {
        ...{ id, name, sort, countedBy, lengthNm, widthNm, usualFor },
        free: freeOf.get(id) ?? (dayOf.has(id) ? 0 : null),
        comes: comesOn(dayOf.get(id)),
      },
    ]),
  );
}

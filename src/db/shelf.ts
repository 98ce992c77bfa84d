import { and, eq, gt, inArray, ne } from 'drizzle-orm';
import type { PricedItem } from '@/core/batch';
import type { MaterialChoice } from '@/core/cutlist';
import type { StockChoice } from '@/core/stock';
import type { Reader } from './connection';
import { schema } from '.';

export type StockItemRow = typeof schema.stockItems.$inferSelect;

/** A bolt or remnant for the core; what is free of it is what no approved lay has reserved. */
export const toShelfItem = (row: StockItemRow): PricedItem => ({
  id: row.id,
  code: row.code,
  sort: row.sort === 'remnant' ? 'remnant' : 'bolt',
  lot: row.lot,
  width: row.widthNm!,
  selvage: [row.selvageLeftNm, row.selvageRightNm],
  received: row.lengthNm!,
  available: Math.min(row.onHand - row.reserved, row.lengthNm!),
  isOpened: row.isOpened,
  isWashed: row.isWashed,
  motif: [row.motifAcrossNm, row.motifAlongNm],
  flaws: row.flaws,
  outline: row.outline,
  price: {
    minor: row.priceMinor,
    currency: row.currency,
    per: row.pricePer === 'yd' || row.pricePer === 'whole' ? row.pricePer : 'm',
  },
});

/** Loads the free stock of some cloths, by the cloth's id: bolts and remnants. */
export async function loadShelf(db: Reader, clothIds: readonly number[]): Promise<Map<number, PricedItem[]>> {
  const { stockItems } = schema;
  const rows =
    clothIds.length === 0
      ? []
      : await db
          .select()
          .from(stockItems)
          .where(
            and(
              inArray(stockItems.clothId, [...clothIds]),
              inArray(stockItems.sort, ['bolt', 'remnant']),
              gt(stockItems.onHand, stockItems.reserved),
            ),
          )
          .orderBy(stockItems.id);
  const shelf = new Map<number, PricedItem[]>();
  for (const row of rows) shelf.set(row.clothId!, [...(shelf.get(row.clothId!) ?? []), toShelfItem(row)]);
  return shelf;
}

/** Loads people's decisions about the shelf for the lays of a batch, by the cloth's id. */
export async function loadStockChoices(db: Reader, batchId: number): Promise<Map<number, StockChoice>> {
  const rows = await db.select().from(schema.stockChoices).where(eq(schema.stockChoices.batchId, batchId));
  return new Map(rows.map(({ clothId, pinned, leftOut, isLotMixed }) => [clothId, { pinned, leftOut, isLotMixed }]));
}

/** The materials of the catalogue, for what lines take that name none themselves. */
export async function materialChoices(db: Reader): Promise<MaterialChoice[]> {
  const { id, sort, usualFor, thicknessNm } = schema.cloths;
  const rows = await db
    .select({ id, sort, usualFor, thicknessNm })
    .from(schema.cloths)
    .where(ne(sort, 'cloth'))
    .orderBy(id);
  return rows.map((row) => ({
    id: String(row.id),
    sort: row.sort,
    usualFor: row.usualFor,
    thickness: row.thicknessNm ?? undefined,
  }));
}

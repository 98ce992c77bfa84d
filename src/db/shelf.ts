import { and, eq, gt, inArray, sql } from 'drizzle-orm';
import type { PricedItem } from '@/core/batch';
import type { Nm } from '@/core/length';
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

/** A foam is that thick where it is so to the width of a chalk line. */
const SAME_THICKNESS: Nm = 2_000_000;

/** Foams of the catalogue by thickness: for a form of `thickness` (nm) the one that is as thick, the cheapest first. */
export async function foamByThickness(db: Reader): Promise<(thickness: Nm | undefined) => string | undefined> {
  const { id, thicknessNm, sort, priceMinor } = schema.cloths;
  const rows = await db.select({ id, thicknessNm }).from(schema.cloths).where(eq(sort, 'foam')).orderBy(priceMinor, id);
  return (thickness) => {
    const found = rows.find(
      (row) =>
        thickness !== undefined && row.thicknessNm !== null && Math.abs(row.thicknessNm - thickness) <= SAME_THICKNESS,
    );
    return found && String(found.id);
  };
}

/** The workroom's usual materials: the id of a cloth of the catalogue by the role that it serves. */
export async function usualMaterials(db: Reader): Promise<Record<string, string>> {
  const rows = await db
    .select({ id: schema.cloths.id, roles: schema.cloths.usualFor })
    .from(schema.cloths)
    .where(sql`${schema.cloths.usualFor} <> '{}'`)
    .orderBy(schema.cloths.id);
  return Object.fromEntries(rows.flatMap(({ id, roles }) => roles.map((role) => [role, String(id)])));
}

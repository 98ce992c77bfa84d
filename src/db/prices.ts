import { format } from 'date-fns';
import { desc, eq } from 'drizzle-orm';
import { schema } from '.';
import type { Transaction } from './connection';

interface PriceValues {
  priceMinor: number;
  currency: string;
  pricePer: (typeof schema.prices.$inferInsert)['pricePer'];
}

/** Keeps a price as a fact with its day, where it is another than the last; of two on one day the later holds. */
export async function keepPrice(
  tx: Transaction,
  of: { clothId: number } | { materialId: number },
  { priceMinor, currency, pricePer }: PriceValues,
  now: Date,
) {
  const { prices } = schema;
  const isOwn = 'clothId' in of ? eq(prices.clothId, of.clothId) : eq(prices.materialId, of.materialId);
  const [last] = await tx.select().from(prices).where(isOwn).orderBy(desc(prices.since)).limit(1);
  if (last && last.priceMinor === priceMinor && last.currency === currency && last.pricePer === pricePer) return;
  const row = { ...of, since: format(now, 'yyyy-MM-dd'), priceMinor, currency, pricePer };
  const target = 'clothId' in of ? [prices.clothId, prices.since] : [prices.materialId, prices.since];
  await tx.insert(prices).values(row).onConflictDoUpdate({ target, set: { priceMinor, currency, pricePer } });
}

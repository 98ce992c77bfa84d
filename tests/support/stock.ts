import { sql } from 'drizzle-orm';
import type { Database } from '@/db';
import type { ReceiveForm } from '@/features/stock/form';

/** What came, as somebody would type it: a bolt of the test's cloth (54 in wide), 20 yd long, at £10 a yard. */
export const receipt = (cloth: number, rest: Partial<ReceiveForm> = {}): ReceiveForm => ({
  what: `cloth ${cloth}`,
  lot: '3',
  width: '54',
  selvageLeft: '1/2',
  selvageRight: '1/2',
  length: '20 yd',
  count: '1',
  motifAcross: '',
  motifAlong: '',
  flaws: [],
  outline: '',
  place: 'rack 2',
  supplier: 'Loom Lane',
  price: '10',
  notes: '',
  ...rest,
});

/** The ledger's sums for figures, in one order. */
export async function movementSums(db: Database): Promise<object[]> {
  const { rows } = await db.execute(sql`
    SELECT week::text, month::text, cloth_id, item_sort, sort, cause, currency, quantity, round(worth, 6) AS worth FROM movement_sums
    WHERE quantity <> 0 ORDER BY 1, 2, 3, 4, 5, 6, 7`);
  return rows;
}

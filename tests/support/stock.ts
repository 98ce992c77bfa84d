import { sql } from 'drizzle-orm';
import { expect } from 'vitest';
import type { Database } from '@/db';
import type { ReceiveForm } from '@/features/stock/form';

/** A delivery as somebody would type it: a bolt of the test's cloth (54 in wide), 20 yd long, at £10 a yard. */
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

/** Checks that what came in is what is left and where the rest went, for every item; and the balance is the sum of its movements. */
export async function conserves(db: Database): Promise<void> {
  const { rows } = await db.execute<{ id: number; on_hand: string; reserved: string; sum: string; held: string }>(sql`
    SELECT i.id, i.on_hand, i.reserved,
      coalesce(sum(CASE WHEN m.sort IN ('received', 'counted') THEN m.quantity WHEN m.sort IN ('cut', 'wasted', 'kept', 'used') THEN -m.quantity ELSE 0 END), 0) AS sum,
      coalesce(sum(CASE m.sort WHEN 'reserved' THEN m.quantity WHEN 'released' THEN -m.quantity ELSE 0 END), 0) AS held
    FROM stock_items i LEFT JOIN movements m ON m.item_id = i.id GROUP BY i.id`);
  for (const row of rows) {
    expect(Number(row.on_hand)).toBe(Number(row.sum));
    expect(Number(row.reserved)).toBe(Number(row.held));
    expect(Number(row.reserved)).toBeGreaterThanOrEqual(0);
    expect(Number(row.on_hand)).toBeGreaterThanOrEqual(Number(row.reserved));
  }
  // The sums that figures are made from are those of the movements.
  const kept = await movementSums(db);
  await db.execute(sql`SELECT sum_movements()`);
  expect(kept).toEqual(await movementSums(db));
}

import 'server-only';
import { markerOf } from '@/records/lay-marker';
import { canHappen } from '@/core/transitions';
import { BATCH_TRANSITIONS } from '@/core/batch';
import { lookOf } from '@/features/cloth/look';
import { and, eq, inArray } from 'drizzle-orm';
import { NM } from '@/core/length';
import { database, schema } from '@/db';
import { toCloth, type ClothRow } from '@/db/rows';
import { toShelfItem } from '@/db/shelf';
import type { LayView } from './lay-view';
import { lengthsOf } from './lengths-of';
import type { TableDocument } from './table-document';

/** The lay of a cloth as the table draws it, or null when the batch has none: its address stays when it is made again. */
export async function getLay(batchId: number, clothId: number): Promise<LayView | null> {
  return (await getLays(batchId, clothId))[0] ?? null;
}

/** All lays of a batch, drawn from what was stored when they were made. */
export async function getLays(batchId: number, clothId?: number): Promise<LayView[]> {
  const db = database();
  const rows = await db
    .select()
    .from(schema.lays)
    .where(and(eq(schema.lays.batchId, batchId), clothId === undefined ? undefined : eq(schema.lays.clothId, clothId)))
    .orderBy(schema.lays.id);
  if (rows.length === 0) return [];
  const shares = await db
    .select({
      share: schema.layShares,
      no: schema.orders.no,
      mark: schema.orders.mark,
      orderId: schema.orders.id,
      customer: schema.customers.name,
    })
    .from(schema.layShares)
    .innerJoin(schema.orders, eq(schema.orders.id, schema.layShares.orderId))
    .innerJoin(schema.customers, eq(schema.customers.id, schema.orders.customerId))
    .where(
      inArray(
        schema.layShares.layId,
        rows.map(({ id }) => id),
      ),
    )
    .orderBy(schema.orders.no);
  return rows.map((row) => {
    const cloth = row.cloth as ClothRow;
    const marker = markerOf(row);
    return {
      id: row.id,
      version: row.version,
      how: row.how,
      batchId,
      clothId: row.clothId,
      clothName: cloth.name,
      units: row.units,
      look: lookOf(cloth),
      usedNm: row.usedNm,
      boundNm: row.boundNm,
      boughtNm: row.boughtNm,
      handNm: row.handNm,
      costMinor: row.costMinor,
      handCostMinor: row.handCostMinor,
      currency: row.currency,
      wastePart: row.wastePart,
      lengths: lengthsOf(marker, row.boughtNm),
      unplaced: marker.plan.unplaced.map((one) => ({
        name: `${'piece' in one ? one.piece : one.strip} no. ${one.copy}`,
        why: one.why,
      })),
      orders: shares
        .filter(({ share }) => share.layId === row.id)
        .map(({ share, no, mark, orderId, customer }) => ({
          id: orderId,
          no,
          mark,
          customer,
          usedNm: share.usedNm,
          wastePart: wasteOf(share, cloth),
          byLengthMinor: share.shareByLengthMinor,
          byAreaMinor: share.shareByAreaMinor,
          aloneMinor: share.aloneCostMinor,
          aloneNm: share.aloneNm,
          handNm: share.handNm,
          handMinor: share.handCostMinor,
        })),
    };
  });
}

/** An order's waste: what its part of the used cloth holds beyond its pieces. */
function wasteOf(share: { usedNm: number; areaMm2: number }, cloth: ClothRow): number {
  const width = (cloth.widthNm - cloth.selvageLeftNm - cloth.selvageRightNm) / NM.mm;
  const area = (share.usedNm / NM.mm) * width;
  return area > 0 ? (area - share.areaMm2) / area : 0;
}

/** Data for hands on the table of a lay, as one text: read by `openTable`. Null when there is no such lay. */
export async function getTableText(batchId: number, clothId: number): Promise<string | null> {
  const db = database();
  const { lays, batches, stockItems } = schema;
  const [found] = await db
    .select({ lay: lays, status: batches.status })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(and(eq(lays.batchId, batchId), eq(lays.clothId, clothId)));
  if (!found) return null;
  const { lay, status } = found;
  const codes = ((lay.job as { stock?: { id: string }[] }).stock ?? []).map(({ id }) => id);
  const items =
    codes.length > 0
      ? await db
          .select()
          .from(stockItems)
          .where(and(inArray(stockItems.code, codes), eq(stockItems.clothId, clothId)))
          .orderBy(stockItems.id)
      : [];
  const { version, job, plan, parts, boughtNm, costMinor, currency } = lay;
  const document: TableDocument = {
    marker: { version, job, plan, parts },
    cloth: toCloth(lay.cloth as ClothRow),
    items: items.map(toShelfItem),
    isOpen: canHappen(BATCH_TRANSITIONS, status, 'rearrange'),
    boughtNm,
    costMinor,
    currency,
  };
  return JSON.stringify(document);
}

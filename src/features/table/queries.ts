import 'server-only';
import { lookOf } from '@/features/cloth/look';
import { and, eq, inArray } from 'drizzle-orm';
import type { JobPart } from '@/core/cutlist';
import { NM, type Nm } from '@/core/length';
import { drawPlan, readMarker, type Marker } from '@/core/marker';
import { TO_BUY } from '@/core/stock';
import { database, schema } from '@/db';
import { toCloth, type ClothRow } from '@/db/rows';
import type { LayView, LayViewItem, LayViewLength } from './lay-view';

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

/** The lay document of a row; it was written by us, so one that can't be read is a fault of ours. */
function markerOf(row: typeof schema.lays.$inferSelect): Marker {
  const read = readMarker(row, toCloth(row.cloth as ClothRow));
  if (!read.ok) throw new Error(`Lay ${row.id} can't be read: ${read.faults[0]!.message}`);
  return read.value;
}

/** An order's waste: what its part of the used cloth holds beyond its pieces. */
function wasteOf(share: { usedNm: number; areaMm2: number }, cloth: ClothRow): number {
  const width = (cloth.widthNm - cloth.selvageLeftNm - cloth.selvageRightNm) / NM.mm;
  const area = (share.usedNm / NM.mm) * width;
  return area > 0 ? (area - share.areaMm2) / area : 0;
}

/** What is drawn of a lay: each length of cloth, with every piece and strip cut where it lies. */
function lengthsOf({ job, plan, parts, cloth }: Marker, boughtNm: Nm): LayViewLength[] {
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const drawings = drawPlan(job, plan).filter(({ items }) => items.length > 0);
  const mm = (length: Nm) => length / NM.mm;
  return drawings.map(({ stock, used, items }): LayViewLength => {
    const isOnly = drawings.length === 1;
    const isCloth = stock.id === 'roll' || stock.id === TO_BUY;
    const width = isCloth ? cloth.width : stock.right + stock.left;
    const shown = isOnly && stock.id === 'roll' ? boughtNm : stock.length === Infinity ? used : Math.min(stock.length, used + ROOM_BEHIND); // prettier-ignore
    return {
      code: stock.id,
      widthMm: mm(width),
      selvageMm: [mm(stock.left), mm(width - stock.right)],
      shownMm: mm(Math.max(shown, used)),
      usedNm: used,
      boundNm: isOnly ? plan.bound : null,
      motifMm: [mm(stock.motif[0]), mm(stock.motif[1])],
      flaws: stock.flaws.map((box) => box.map(mm) as LayViewLength['flaws'][number]),
      outline: stock.outline?.map(([x, y]): [number, number] => [mm(x), mm(y)]) ?? null,
      items: items.map(({ id, copy, turn, isStrip, cutLength, ring }, i): LayViewItem => {
        const part = partOf.get(id)!;
        return {
          ...labelOf(part),
          key: isStrip ? `${id} ${copy} ${stock.id} ${i}` : `${id} ${copy}`,
          copy,
          turn,
          ring: ring.map(([x, y]) => [mm(x), mm(y)]),
          sizeNm: cutLength === null ? part.size : [part.size[0], cutLength],
        };
      }),
    };
  });
}

/** So much of a bolt (nm) is drawn behind the last piece. */
const ROOM_BEHIND: Nm = 100_000_000;

const labelOf = ({ orderNo, line, name, sum, size, isStrip }: JobPart) => ({
  orderNo: Number(orderNo),
  line,
  name,
  sum,
  sizeNm: size,
  isStrip,
});

/** The stored job or plan of a lay, as it was made. */
export async function layDocument(
  batchId: number,
  clothId: number,
  what: 'job' | 'plan',
): Promise<{ document: unknown } | null> {
  const [row] = await database()
    .select({ document: schema.lays[what] })
    .from(schema.lays)
    .where(and(eq(schema.lays.clothId, clothId), eq(schema.lays.batchId, batchId)));
  return row ?? null;
}

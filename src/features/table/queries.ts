import 'server-only';
import { lookOf } from '@/features/cloth/look';
import { and, eq, inArray } from 'drizzle-orm';
import { turnOutline, type Point } from '@/core/lay';
import { fromUnits, NM, type Units } from '@/core/length';
import { database, schema } from '@/db';
import type { ClothRow } from '@/db/rows';
import type { LayView, LayViewItem } from './lay-view';

type PlanJson = {
  lays: {
    placed: { piece: string; copy: number; x: number; y: number; turn: number }[];
    cuts: { strip: string; copy: number; length: number; outline: [number, number][] }[];
  }[];
  unplaced: ({ piece?: string; strip?: string } & { copy: number; why: string })[];
};
type JobJson = { pieces: { id: string; outline?: Point[] }[] };
type PartsJson = {
  id: string;
  orderNo: string;
  line: string;
  name: string;
  sum: [string, string];
  size: [number, number];
  isStrip: boolean;
}[];

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
    return {
      id: row.id,
      batchId,
      clothId: row.clothId,
      clothName: cloth.name,
      units: row.units,
      look: lookOf(cloth),
      widthMm: cloth.widthNm / NM.mm,
      selvageMm: [cloth.selvageLeftNm / NM.mm, cloth.selvageRightNm / NM.mm],
      usedNm: row.usedNm,
      boundNm: row.boundNm,
      boughtNm: row.boughtNm,
      handNm: row.handNm,
      costMinor: row.costMinor,
      handCostMinor: row.handCostMinor,
      currency: row.currency,
      wastePart: row.wastePart,
      items: itemsOf(row.plan as PlanJson, row.job as JobJson, row.parts as PartsJson, row.units),
      unplaced: (row.plan as PlanJson).unplaced.map(({ piece, strip, copy, why }) => ({
        name: `${piece ?? strip} no. ${copy}`,
        why,
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

function itemsOf(plan: PlanJson, job: JobJson, parts: PartsJson, units: Units): LayViewItem[] {
  const mm = (value: number) => fromUnits(value, units) / NM.mm;
  const partOf = (id: string) => parts.find((part) => part.id === id)!;
  return plan.lays.flatMap(({ placed, cuts }) => [
    ...placed.map(({ piece, copy, x, y, turn }): LayViewItem => {
      const part = partOf(piece);
      const [across, along] = part.size.map((one) => one / NM.mm) as [number, number];
      const outline = job.pieces.find(({ id }) => id === piece)?.outline?.map((at) => at.map(mm) as Point);
      const box: Point[] = [[0, 0], [across, 0], [across, along], [0, along]]; // prettier-ignore
      const ring = turnOutline(outline ?? box, turn).map(([dx, dy]): Point => [mm(x) + dx, mm(y) + dy]);
      return { ...labelOf(part), key: `${piece} ${copy}`, copy, ring, turn };
    }),
    ...cuts.map(({ strip, copy, length, outline }, i): LayViewItem => {
      const part = partOf(strip);
      return {
        ...labelOf(part),
        key: `${strip} ${copy} ${i}`,
        copy,
        ring: outline.map(([x, y]) => [mm(x), mm(y)]),
        turn: 0,
        sizeNm: [part.size[0], fromUnits(length, units)],
      };
    }),
  ]);
}

const labelOf = ({ orderNo, line, name, sum, size, isStrip }: PartsJson[number]) => ({
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

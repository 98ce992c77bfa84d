import 'server-only';
import { and, eq, ne } from 'drizzle-orm';
import { codedParts, pieceCode } from '@/core/files/lay/piece-codes';
import { NM } from '@/core/length';
import { drawPlan, marksOnCloth, type Marker } from '@/core/marker';
import { database, schema } from '@/db';
import type { LayRow } from '@/db/rows';
import { lookOf } from '@/features/cloth/look';
import { lengthsOf } from '@/features/table/lengths-of';
import { loadCut, stepsOf } from './load-cut';
import type { SheetLength, SheetView } from './sheet-view';
import { loadSheetState } from './load-sheet-state';
import type { SheetState } from './ticks';

/** The cutting sheet of a cloth of a batch; null where the batch has no such lay. */
export async function getCuttingSheet(batchId: number, clothId: number): Promise<SheetView | null> {
  const db = database();
  const [lay] = await loadCut(db, batchId, clothId);
  const [batch] = await db.select().from(schema.batches).where(eq(schema.batches.id, batchId));
  if (!lay || !batch) return null;
  const { row, marker, cloth } = lay;
  const { lays, layShares, orders, customers } = schema;
  const own = await db
    .select({ no: orders.no, mark: orders.mark, customer: customers.name })
    .from(layShares)
    .innerJoin(orders, eq(orders.id, layShares.orderId))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(eq(layShares.layId, row.id))
    .orderBy(orders.no);
  const others = await db
    .select({ clothId: lays.clothId, cloth: lays.cloth })
    .from(lays)
    .where(and(eq(lays.batchId, batchId), ne(lays.clothId, clothId)))
    .orderBy(lays.id);
  return {
    batch: { id: batch.id, name: batch.name },
    clothId,
    clothName: cloth.name,
    units: row.units,
    look: lookOf(cloth),
    areSheets: cloth.sheetLengthNm !== null,
    lengths: sheetLengths(marker, row),
    steps: stepsOf(lay),
    orders: own,
    others: others.map((one) => ({ clothId: one.clothId, clothName: (one.cloth as { name: string }).name })),
    state: await loadSheetState(db, row, batch.status),
  };
}

/** The lengths of a lay with what stands on each piece: its code and its marks. */
function sheetLengths(marker: Marker, row: LayRow): SheetLength[] {
  const { job, plan, parts } = marker;
  const codes = new Map(codedParts(job).map(({ id, copy, number }) => [`${id} ${copy}`, pieceCode(row.id, number)]));
  const partOf = new Map(parts.map((part) => [part.id, part]));
  const drawings = new Map(drawPlan(job, plan).map((drawing) => [drawing.stock.id, drawing.items]));
  return lengthsOf(marker, row.boughtNm).map((length) => ({
    ...length,
    items: length.items.map((item, i) => {
      const { id, copy, isStrip, turn, ring } = drawings.get(length.code)![i]!;
      const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
      const marks = isStrip ? [] : marksOnCloth(partOf.get(id)!, { x: Math.min(...xs), y: Math.min(...ys), turn });
      return {
        ...item,
        part: id,
        code: codes.get(`${id} ${copy}`) ?? '',
        marks: marks.map(({ n, name, points }) => ({
          n,
          name,
          points: points.map(([x, y]): [number, number] => [x / NM.mm, y / NM.mm]),
        })),
      };
    }),
  }));
}

/** How the sheet of a cloth of a batch stands now; null where the batch has no such lay. */
export async function getSheetState(batchId: number, clothId: number): Promise<SheetState | null> {
  const db = database();
  const { lays, batches } = schema;
  const [found] = await db
    .select({
      batchId: lays.batchId,
      clothId: lays.clothId,
      version: lays.version,
      cutAt: lays.cutAt,
      status: batches.status,
    })
    .from(lays)
    .innerJoin(batches, eq(batches.id, lays.batchId))
    .where(and(eq(lays.batchId, batchId), eq(lays.clothId, clothId)));
  return found ? loadSheetState(db, found, found.status) : null;
}

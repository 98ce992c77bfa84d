import 'server-only';
import { and, desc, eq, gt, inArray } from 'drizzle-orm';
import { printNumber, STYLES, type Nm, type Units } from '@/core/length';
import { TO_BUY, type LayOutcome } from '@/core/stock';
import { database, schema } from '@/db';
import { loadCut } from './load-cut';
import type { EventForm, RemnantForm } from './form';
import { loadSheetState } from './load-sheet-state';

/** A length of cloth as a lay takes it, and the items from which it may really have been cut. */
interface LengthToCut {
  code: string;
  itemId: number | null;
  usedNm: Nm;
  choices: { id: number; code: string; lot: string; leftNm: Nm }[];
}

export interface CuttingView {
  batch: { id: number; name: string; status: string; version: number };
  clothId: number;
  clothName: string;
  units: Units;
  usedNm: Nm;
  /** Foam and board: whole sheets, taken from the oldest on the shelf. */
  areSheets: boolean;
  lengths: LengthToCut[];
  remnants: (RemnantForm & { hasShape: boolean })[];
  /** `length`: what one of them takes along the bolt, as it lies. */
  parts: { id: string; label: string; length: string }[];
  /** Notes of the cutting sheet: the form begins with them. */
  found: EventForm[];
  cutAt: string | null;
  outcome: LayOutcome | null;
  events: { sort: string; lengthNm: Nm; part: string; why: string; order: number | null; at: string }[];
}

/** A lay with what its cutter needs to close it; null where the batch has none of that cloth. */
export async function getCutting(batchId: number, clothId: number): Promise<CuttingView | null> {
  const db = database();
  const [batch] = await db.select().from(schema.batches).where(eq(schema.batches.id, batchId));
  if (!batch) return null;
  const [lay] = await loadCut(db, batchId, clothId);
  if (!lay) return null;
  const { row, marker, remnants } = lay;
  const { stockItems, layEvents, orders } = schema;
  const [items, events] = await Promise.all([
    db
      .select()
      .from(stockItems)
      .where(
        and(eq(stockItems.clothId, clothId), gt(stockItems.onHand, 0), inArray(stockItems.sort, ['bolt', 'remnant'])),
      )
      .orderBy(stockItems.id),
    db
      .select({ event: layEvents, no: orders.no })
      .from(layEvents)
      .leftJoin(orders, eq(orders.id, layEvents.orderId))
      .where(and(eq(layEvents.batchId, batchId), eq(layEvents.clothId, clothId)))
      .orderBy(desc(layEvents.id)),
  ]);
  const size = (length: Nm) => printNumber(length, STYLES[row.units]).text.replace('≈ ', '');
  const { troubles } = await loadSheetState(db, row, batch.status);
  const isTurned = new Set(
    marker.plan.lays.flatMap(({ placed }) => placed.filter(({ turn }) => turn % 180 !== 0).map(({ piece }) => piece)),
  );
  const uses = new Map(row.stock.uses.map((use) => [use.code, use]));
  return {
    batch: { id: batch.id, name: batch.name, status: batch.status, version: batch.version },
    clothId,
    clothName: (row.cloth as { name: string }).name,
    units: row.units,
    usedNm: row.usedNm,
    areSheets: Boolean((row.cloth as { sheetLengthNm?: number | null }).sheetLengthNm),
    lengths: marker.plan.lays
      .filter(({ used }) => used > 0)
      .map(({ stock, used }) => ({
        code: stock,
        itemId: uses.get(stock)?.itemId ?? null,
        usedNm: uses.get(stock)?.used || uses.get(TO_BUY)?.short || used,
        choices: items.map(({ id, code, lot, onHand }) => ({ id, code, lot, leftNm: onHand })),
      })),
    remnants: remnants.map(({ stock, box: [x0, y0, x1, y1], outline }, proposed) => ({
      code: stock,
      proposed,
      isKept: true,
      across: size(x1 - x0),
      along: size(y1 - y0),
      place: '',
      hasShape: outline !== null,
    })),
    parts: marker.parts.map(({ id, orderNo, name, size: [a, b] }) => ({
      id,
      label: `${orderNo} ${name}, ${size(a)} × ${size(b)}`,
      length: size(isTurned.has(id) ? a : b),
    })),
    found: troubles.map(({ sort, code, length, part, why }) => ({ sort, code, length, part, why })),
    cutAt: row.cutAt?.toISOString() ?? null,
    outcome: row.outcome,
    events: events.map(({ event, no }) => ({
      sort: event.sort,
      lengthNm: event.lengthNm,
      part: event.part,
      why: event.why,
      order: no,
      at: event.at.toISOString(),
    })),
  };
}

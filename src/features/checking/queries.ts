import 'server-only';
import { eq, sql } from 'drizzle-orm';
import type { CoverKind, TakeOff } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import type { Look } from '@/core/making';
import { database, schema } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { LayFailure } from '@/records/cut-lists';
import type { CheckState } from './check-entries';
import { loadCheckState, loadLooks } from './load-check';
import { partsOfLine, recutOffers, type RecutOffer, type RecutPart } from './recut-offers';

/** A line with covers that wait to be checked, or on which something was found. */
export interface LineToCheck {
  lineId: number;
  orderNo: number;
  mark: number;
  due: string;
  kind: string;
  toCheck: number;
  toMend: number;
  qty: number;
}

/** The lines with something to check or to mend, what is due first at the head. */
export async function getChecking(): Promise<LineToCheck[]> {
  const db = database();
  const { covers, orderLines, orders } = schema;
  const [rows, kinds] = await Promise.all([
    db
      .select({
        lineId: covers.lineId,
        orderNo: orders.no,
        mark: orders.mark,
        due: orders.due,
        kind: orderLines.kind,
        kindVersion: orderLines.kindVersion,
        qty: orderLines.qty,
        toCheck: sql<number>`count(*) FILTER (WHERE ${covers.state} = 'to check')::int`,
        toMend: sql<number>`count(*) FILTER (WHERE ${covers.state} = 'to mend')::int`,
      })
      .from(covers)
      .innerJoin(orderLines, eq(orderLines.id, covers.lineId))
      .innerJoin(orders, eq(orders.id, orderLines.orderId))
      .where(sql`${covers.state} IN ('to check', 'to mend') AND ${orders.deletedAt} IS NULL`)
      .groupBy(covers.lineId, orders.id, orderLines.id)
      .orderBy(orders.due, orders.no, orderLines.position)
      .limit(200),
    loadKindBook(db),
  ]);
  return rows.map(({ kindVersion, kind, ...row }) => ({ ...row, kind: kinds.find(kind, kindVersion)?.name ?? kind }));
}

/** The check of a line as a tablet shows it. */
export interface CheckView {
  lineId: number;
  order: { id: number; no: number; mark: number; customer: string };
  batchId: number | null;
  units: OrderUnits;
  qty: number;
  kind: CoverKind;
  cover: TakeOff;
  looks: Look[];
  parts: RecutPart[];
  state: CheckState;
}

/** The check of a line; null where there is none. */
export async function getCheck(lineId: number): Promise<CheckView | null> {
  const db = database();
  const { customers, orderLines, orders } = schema;
  const [row] = await db
    .select({ id: orders.id, no: orders.no, mark: orders.mark, customer: customers.name })
    .from(orderLines)
    .innerJoin(orders, eq(orders.id, orderLines.orderId))
    .innerJoin(customers, eq(customers.id, orders.customerId))
    .where(eq(orderLines.id, lineId));
  if (!row) return null;
  const looks = await loadLooks(db, lineId).catch((error: unknown) => {
    if (error instanceof LayFailure) return null;
    throw error;
  });
  if (!looks) return null;
  const { batchId, units, qty, kind, cover } = looks;
  return {
    lineId,
    order: row,
    batchId,
    units,
    qty,
    kind,
    cover,
    looks: looks.looks,
    parts: await partsOfLine(db, lineId),
    state: await loadCheckState(db, lineId),
  };
}

/** How the check of a line stands, for devices that look again; null where there is no such line. */
export async function getCheckState(lineId: number): Promise<CheckState | null> {
  const db = database();
  const [line] = await db
    .select({ id: schema.orderLines.id })
    .from(schema.orderLines)
    .where(eq(schema.orderLines.id, lineId));
  return line ? loadCheckState(db, lineId) : null;
}

/** Where a part of a line can be cut again. */
export const findOffers = (lineId: number, clothId: number, part: string): Promise<RecutOffer[]> =>
  recutOffers(database(), lineId, clothId, part);

import { and, eq, inArray, isNull } from 'drizzle-orm';
import { readCosting, type Costing } from '@/core/cost';
import { schema, type Reader } from '@/db';
import { COSTING_KEY, costingOf, loadCosting } from './costing';

type Lay = typeof schema.lays.$inferSelect;
export type Material = typeof schema.materials.$inferSelect;

/** The record of an approval beside its lays, which are frozen themselves: the lines with their kind versions, prices and rules of that day. */
export interface Frozen {
  lays: Pick<Lay, 'clothId' | 'version' | 'usedNm' | 'costMinor' | 'currency' | 'stock'>[];
  lines: { id: number; orderId: number; kind: string; kindVersion: number; qty: number }[];
  /** Approvals of earlier versions kept the prices alone. */
  materials: (Pick<Material, 'id' | 'priceMinor' | 'currency' | 'pricePer'> & Partial<Material>)[];
  settings: { key: string; value: unknown }[];
}

/** Reads what an approval of a batch with these lays keeps. */
export async function frozenFor(tx: Reader, batchId: number, lays: readonly Lay[]): Promise<Frozen> {
  const { orderLines, materials, settings } = schema;
  const lines = await tx
    .select({
      id: orderLines.id,
      orderId: orderLines.orderId,
      kind: orderLines.kind,
      kindVersion: orderLines.kindVersion,
      qty: orderLines.qty,
    })
    .from(orderLines)
    .where(eq(orderLines.batchId, batchId))
    .orderBy(orderLines.id);
  return {
    lays: lays.map(({ clothId, version, usedNm, costMinor, currency, stock }) => ({
      clothId,
      version,
      usedNm,
      costMinor,
      currency,
      stock,
    })),
    lines,
    materials: await tx.select().from(materials).orderBy(materials.id),
    settings: await tx
      .select()
      .from(settings)
      .where(inArray(settings.key, ['workroom-rules', COSTING_KEY])),
  };
}

/** The approvals that hold for lines of an order, the oldest first. */
export async function approvalsOf(db: Reader, orderId: number): Promise<Frozen[]> {
  const { approvals, orderLines } = schema;
  const batches = db.selectDistinct({ id: orderLines.batchId }).from(orderLines).where(eq(orderLines.orderId, orderId));
  const rows = await db
    .select({ frozen: approvals.frozen })
    .from(approvals)
    .where(and(inArray(approvals.batchId, batches), isNull(approvals.withdrawnAt)))
    .orderBy(approvals.at, approvals.id);
  return rows.map(({ frozen }) => frozen as Frozen);
}

/** The catalogue as an approval keeps it: today's, with the prices of that day, and what is no longer in it. */
export function materialsThen(today: readonly Material[], { materials }: Frozen): Material[] {
  const then = new Map(materials.map((row) => [row.id, row]));
  const known = today.map((row) => ({ ...row, ...then.get(row.id) }));
  const gone = materials.filter(({ id, name }) => name !== undefined && !today.some((row) => row.id === id));
  return [...known, ...(gone as Material[])];
}

/** The rules that an order's cost is calculated with: those of its last approval, or today's where none of it is approved. */
export async function costingRulesOf(db: Reader, approvals: readonly Frozen[]): Promise<Costing> {
  const last = approvals.at(-1);
  const form = last ? costingOf(last.settings.find(({ key }) => key === COSTING_KEY)?.value) : await loadCosting(db);
  return readCosting(form).value.costing;
}

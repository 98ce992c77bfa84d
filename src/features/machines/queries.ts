import 'server-only';
import { and, asc, desc, eq } from 'drizzle-orm';
import { database, schema } from '@/db';
import { MACHINES_KEY, NO_MACHINES, type MachinesForm } from './form';

/** The addresses of the workroom's machines. */
export async function machinesForm(): Promise<MachinesForm> {
  const { settings } = schema;
  const [row] = await database().select().from(settings).where(eq(settings.key, MACHINES_KEY));
  return { ...NO_MACHINES, ...(row?.value as Partial<MachinesForm> | undefined) };
}

/** How a lay stands at the cutter. */
export interface CutterView {
  id: number;
  state: string;
  progress: number;
  seconds: number | null;
  faults: string[];
  /** Tells whether the lay was changed since it was sent. */
  isOld: boolean;
  /** The sentence for the cutter's silence; empty where it answers. */
  silence: string;
}

export type CutterJobRow = typeof schema.cutterJobs.$inferSelect;

export const toCutterView = (row: CutterJobRow, layVersion: number, silence = ''): CutterView => ({
  id: row.id,
  state: row.state,
  progress: row.progress,
  seconds: row.seconds,
  faults: row.faults,
  isOld: row.layVersion !== layVersion,
  silence,
});

/** The last job that was sent of a lay, with the lay's version; null where nothing was. */
export async function lastCutterJob(
  batchId: number,
  clothId: number,
): Promise<{ row: CutterJobRow; layVersion: number } | null> {
  const { cutterJobs, lays } = schema;
  const [found] = await database()
    .select({ row: cutterJobs, layVersion: lays.version })
    .from(cutterJobs)
    .innerJoin(lays, and(eq(lays.batchId, cutterJobs.batchId), eq(lays.clothId, cutterJobs.clothId)))
    .where(and(eq(cutterJobs.batchId, batchId), eq(cutterJobs.clothId, clothId)))
    .orderBy(desc(cutterJobs.id))
    .limit(1);
  return found ?? null;
}

/** A price that a supplier's list names, beside the workroom's own. */
export interface Proposal {
  id: number;
  supplier: string;
  article: string;
  of: string;
  priceMinor: number;
  currency: string;
  pricePer: string;
  asOf: string;
  inStock: string;
  /** The workroom's price now. */
  ownMinor: number;
  ownCurrency: string;
  ownPer: string;
}

/** The prices that nobody has decided on. */
export async function openProposals(): Promise<Proposal[]> {
  const { priceProposals, cloths, materials } = schema;
  const rows = await database()
    .select({ one: priceProposals, cloth: cloths, material: materials })
    .from(priceProposals)
    .leftJoin(cloths, eq(cloths.id, priceProposals.clothId))
    .leftJoin(materials, eq(materials.id, priceProposals.materialId))
    .where(eq(priceProposals.state, 'open'))
    .orderBy(asc(priceProposals.id))
    .limit(200);
  return rows.map(({ one, cloth, material }) => {
    const own = (cloth ?? material)!;
    return {
      id: one.id,
      supplier: one.supplier,
      article: one.article,
      of: own.name,
      priceMinor: one.priceMinor,
      currency: one.currency,
      pricePer: one.pricePer,
      asOf: one.asOf,
      inStock: one.inStock,
      ownMinor: own.priceMinor,
      ownCurrency: own.currency,
      ownPer: own.pricePer,
    };
  });
}

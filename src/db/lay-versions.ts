import { and, eq, inArray, max } from 'drizzle-orm';
import type { Transaction } from './connection';
import * as schema from './schema';

const { lays, layVersions } = schema;

/** Keeps the lays of batches as they are now among their older versions, before they are made anew or dropped. */
export async function keepVersions(tx: Transaction, batchIds: readonly number[]): Promise<void> {
  const now = tx
    .select({
      batchId: lays.batchId,
      clothId: lays.clothId,
      version: lays.version,
      units: lays.units,
      cloth: lays.cloth,
      job: lays.job,
      parts: lays.parts,
      plan: lays.plan,
      usedNm: lays.usedNm,
      costMinor: lays.costMinor,
      currency: lays.currency,
      createdAt: lays.createdAt,
    })
    .from(lays)
    .where(inArray(lays.batchId, [...batchIds]));
  await tx.insert(layVersions).select(now).onConflictDoNothing();
}

/** The version that the next lay of a cloth of a batch has. */
export async function nextVersion(tx: Transaction, batchId: number, clothId: number): Promise<number> {
  const [last] = await tx
    .select({ version: max(layVersions.version) })
    .from(layVersions)
    .where(and(eq(layVersions.batchId, batchId), eq(layVersions.clothId, clothId)));
  return (last?.version ?? 0) + 1;
}

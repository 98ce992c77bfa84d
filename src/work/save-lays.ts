import { and, eq, notInArray, sql } from 'drizzle-orm';
import { BATCH_TRANSITIONS, LAY_RUN_TRANSITIONS, type ClothTask, type LayFigures } from '@/core/batch';
import { movesOf } from '@/core/transitions';
import type { LayPlan } from '@/core/lay';
import type { Nm } from '@/core/length';
import type { NotionNeed } from '@/core/stock';
import { schema, type Database } from '@/db';
import { keepVersions } from '@/db/lay-versions';
import { isHeld, type Lease } from './lease';
import type { Loaded } from '@/records/load-batch';
import { putLay } from '@/records/put-lay';

/** The lay of one cloth with its figures. */
export interface LaidCloth {
  task: ClothTask;
  plan: LayPlan;
  figures: LayFigures;
  /** How long the same pieces lie where nothing has to match (nm); null where the cloth has no pattern. */
  plainNm: Nm | null;
}

/** The notions of all covers, those of one name and length together. */
function gathered({ orders }: Loaded): NotionNeed[] {
  const all = new Map<string, NotionNeed>();
  for (const { name, qty, length, size, estimate, material } of orders.flatMap(({ cutList }) => cutList.notions)) {
    const key = `${name} ${length ?? ''} ${size ?? ''} ${estimate ?? ''} ${material ?? ''}`;
    const one = all.get(key) ?? {
      name,
      qty: 0,
      ...(length && { length }),
      ...(size && { size }),
      ...(estimate && { estimate }),
      ...(material && { material }),
    };
    one.qty += qty;
    all.set(key, one);
  }
  return [...all.values()];
}

/** Keeps all lays of a run in one transaction; nothing where the lease has passed on or the batch has changed. */
export async function saveLays(db: Database, lease: Lease, loaded: Loaded, results: readonly LaidCloth[]) {
  const { batchId } = lease;
  await db.transaction(async (tx) => {
    await tx.select({ id: schema.batches.id }).from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    const done = await tx
      .update(schema.layRuns)
      .set({
        state: movesOf(LAY_RUN_TRANSITIONS, 'finish').to,
        progress: 1,
        note: '',
        bestSoFar: null,
        secondsLeft: null,
        endedAt: sql`now()`,
        result: results.map(({ task, plan, figures }) => ({
          cloth: task.cloth.name,
          usedNm: figures.used,
          boundNm: figures.bound,
          unplaced: plan.unplaced.length,
        })),
      })
      .where(isHeld(lease))
      .returning({ id: schema.layRuns.id });
    if (done.length === 0) return;
    const laid = await tx
      .update(schema.batches)
      .set({
        status: movesOf(BATCH_TRANSITIONS, 'finish').to,
        notions: gathered(loaded),
        version: sql`${schema.batches.version} + 1`,
        updatedAt: new Date(),
      })
      .where(and(eq(schema.batches.id, batchId), eq(schema.batches.runId, lease.runId)))
      .returning({ id: schema.batches.id });
    if (laid.length === 0) return;
    const clothIds = results.map(({ task }) => Number(task.key));
    // A lay that is made again keeps its id and counts its versions; what it was is kept.
    await keepVersions(tx, [batchId]);
    // Those of cloths that are no longer cut go.
    await tx
      .delete(schema.lays)
      .where(and(eq(schema.lays.batchId, batchId), notInArray(schema.lays.clothId, clothIds)));
    for (const { task, plan, figures, plainNm } of results) {
      await putLay(tx, {
        batchId,
        clothId: Number(task.key),
        units: task.units,
        cloth: loaded.cloths.find(({ key }) => key === task.key)!.row,
        marker: { cloth: task.cloth, plan, ...task.whole },
        figures,
        why: task.stock?.why ?? '',
        plainNm,
        how: '',
        orderIds: new Map(loaded.orders.map(({ orderNo, orderId }) => [orderNo, orderId])),
      });
    }
  });
}

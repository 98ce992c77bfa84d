import 'server-only';
import { markerOf } from '@/records/lay-marker';
import { and, eq, inArray, sql } from 'drizzle-orm';
import Joi from 'joi';
import { BATCH_TRANSITIONS, clothTasks, settle } from '@/core/batch';
import { applyTransition } from '@/core/transitions';
import { findFaults, lowerBound, placedCopies, readJob, readPlan, type LayJob, type LayPlan } from '@/core/lay';
import type { Marker } from '@/core/marker';
import type { Fault } from '@/core/result';
import { schema, type Transaction } from '@/db';
import { keepVersions } from '@/db/lay-versions';
import type { ClothRow } from '@/db/rows';
import { toShelfItem } from '@/db/shelf';
import { lockBatches } from '@/features/batches/lock';
import { failed, gone, staleAnswer, done, type Answer } from '@/features/commands/answer';
import { byRules, type Command } from '@/features/commands/perform';
import { recordId } from '@/features/commands/record-id';
import { unpack } from '@/features/commands/unpack';
import { loadBatch } from '@/records/load-batch';
import { putLay } from '@/records/put-lay';

type LayRow = typeof schema.lays.$inferSelect;

/** A lay as hands have left it: its plan in the open format, and what is locked as a job has it. */
export interface LayByHand {
  batchId: number;
  clothId: number;
  /** The version that it was made from. */
  version: number;
  plan: unknown;
  placed: unknown;
}

const MOST_LOCKED = 20_000;

/** Keeps a lay as the cutter has laid it, as a new version: only where it may be cut so, and nobody has saved another meanwhile. */
export const saveLayByHand: Command<LayByHand, { version: number }> = {
  name: 'change lay by hand',
  read: byRules(
    Joi.object({
      batchId: recordId('batch'),
      clothId: recordId('cloth'),
      version: Joi.number().integer().required(),
      plan: Joi.object().unknown(true).required(),
      placed: Joi.alternatives(
        Joi.array().max(MOST_LOCKED).items(Joi.object().unknown(true)),
        Joi.object({ gzip: Joi.string().required() }),
      ).required(),
    }),
  ),
  run: async ({ tx, now, changes }, { batchId, clothId, version, plan: planJson, placed: sent }) => {
    const held = await holdLay(tx, batchId, clothId, version);
    if (!held.ok) return held;
    const { row, marker } = held.value;
    const placed = unpack(sent);
    if (!Array.isArray(placed) || placed.length > MOST_LOCKED) return failed('', 'The locked pieces can’t be read.');
    const job = readJob({ ...(row.job as object), placed });
    if (!job.ok) return cannot(job.faults);
    const plan = readPlan(unpack(planJson), job.value);
    if (!plan.ok) return cannot(plan.faults);
    const [fault] = findFaults(job.value, plan.value);
    if (fault) return failed('', `The lay can’t be cut as it lies: ${fault.what}.`, 'faulty');
    await changes('batch', batchId);
    await keepAs(tx, row, marker, job.value, proven(job.value, plan.value, marker), 'by hand');
    await tx
      .update(schema.batches)
      .set({ version: sql`${schema.batches.version} + 1`, updatedAt: now })
      .where(eq(schema.batches.id, batchId));
    return done({ version: version + 1 });
  },
};

const cannot = (faults: readonly Fault[]) => failed('', `The lay can’t be read: ${faults[0]!.message}`);

/** Locks a batch whose lays may be changed, and reads the lay of a cloth in the version that is spoken of. */
export async function holdLay(
  tx: Transaction,
  batchId: number,
  clothId: number,
  version: number,
): Promise<Answer<{ row: LayRow; marker: Marker }>> {
  const [batch] = await lockBatches(tx, [batchId]);
  if (!batch) return gone('batch');
  const moved = applyTransition(BATCH_TRANSITIONS, batch.status, 'rearrange');
  if (moved.refusal !== undefined) return failed('', moved.refusal, 'not-laid');
  const [row] = await tx
    .select()
    .from(schema.lays)
    .where(and(eq(schema.lays.batchId, batchId), eq(schema.lays.clothId, clothId)));
  if (!row) return gone('lay');
  if (row.version !== version) return staleAnswer('lay', row.version, row.createdAt);
  return done({ row, marker: markerOf(row) });
}

/** A plan with what is proven of it by us, whatever it says of itself. */
export function proven(job: LayJob, plan: LayPlan, known: Pick<Marker, 'plan'> | null): LayPlan {
  const isSame = known !== null && known.plan.unplaced.length === plan.unplaced.length;
  const bound = isSame ? known.plan.bound : lowerBound(job, placedCopies(plan.lays));
  return { ...plan, bound: Math.min(bound, plan.used) };
}

/** Keeps a plan of a job as the next version of a lay, with its figures and each order's share. */
export async function keepAs(tx: Transaction, row: LayRow, marker: Marker, job: LayJob, plan: LayPlan, how: string) {
  const { batchId, clothId } = row;
  const loaded = await loadBatch(tx, batchId);
  const task = clothTasks(loaded.orders, loaded.cloths).find(({ key }) => key === String(clothId));
  if (!task) throw new Error(`Nothing of batch ${batchId} is cut from cloth ${clothId}.`);
  const shares = await tx.select().from(schema.layShares).where(eq(schema.layShares.layId, row.id));
  const orderIds = new Map(loaded.orders.map(({ orderNo, orderId }) => [orderNo, orderId]));
  const alone = task.orders.map(
    ({ orderNo }) => shares.find(({ orderId }) => orderId === orderIds.get(orderNo))!.aloneNm,
  );
  const codes = job.stock.map(({ id }) => id);
  const items = await tx
    .select()
    .from(schema.stockItems)
    .where(and(inArray(schema.stockItems.code, codes), eq(schema.stockItems.clothId, clothId)));
  const parts = marker.parts;
  const figures = settle(
    {
      ...task,
      cloth: marker.cloth,
      whole: { job, parts: [...parts] },
      stock: { items: items.map(toShelfItem) },
    },
    plan,
    alone,
  );
  await keepVersions(tx, [batchId]);
  await putLay(tx, {
    batchId,
    clothId,
    units: row.units,
    cloth: row.cloth as ClothRow,
    marker: { cloth: marker.cloth, job, plan, parts },
    figures,
    why: row.stock.why,
    plainNm: row.plainNm,
    how,
    orderIds,
  });
}

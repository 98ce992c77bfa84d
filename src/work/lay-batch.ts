import { and, eq, inArray, sql } from 'drizzle-orm';
import { clothTasks, settle, type BatchCloth, type BestSoFar, type ClothTask, type LayFigures } from '@/core/batch';
import { cutList, type BatchOrder } from '@/core/cutlist';
import { planToJson, type LayPlan } from '@/core/lay';
import { NM, type Nm } from '@/core/length';
import { schema, type Database } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { toCloth, toOrderLine, type ClothRow } from '@/db/rows';
import { Cancel, layInPool, layOnAllCores } from './pool';

/** A lay that can't be made, in words for the person who asked for it. */
export class LayFailure extends Error {}

/** An order alone is laid for its share only: a short search is enough. */
const ALONE_STEPS = 1500;
const TELL_EVERY_MS = 300;

interface Loaded {
  seconds: number;
  seed: number;
  orders: (BatchOrder & { orderId: number })[];
  cloths: (BatchCloth & { row: ClothRow })[];
}

/**
 * Makes the lays of a batch: loads it, lays every cloth in the pool with progress and cancelling through the batch's
 * row, and saves all lays with their figures in one transaction. Does nothing when the batch has been asked for again
 * or changed since (`run`). A failure is written on the batch.
 */
export async function layBatch(db: Database, batchId: number, run: number): Promise<void> {
  const current = and(eq(schema.batches.id, batchId), eq(schema.batches.run, run));
  const taken = await db
    .update(schema.batches)
    .set({ status: 'laying', progress: 0, progressNote: 'Reading the orders', updatedAt: new Date() })
    .where(and(current, inArray(schema.batches.status, ['queued', 'laying'])))
    .returning({ id: schema.batches.id });
  if (taken.length === 0) return;
  const cancel = new Cancel();
  const watch = watchBatch(db, batchId, run, cancel);
  try {
    const loaded = await loadBatch(db, batchId);
    const tasks = clothTasks(loaded.orders, loaded.cloths);
    if (tasks.length === 0)
      throw new LayFailure('There is nothing to cut in this batch: choose some order lines first.');
    const results: { task: ClothTask; plan: LayPlan; figures: LayFigures }[] = [];
    for (const [i, task] of tasks.entries()) {
      const plan = await layTogether(task, loaded, cancel, (part, note, best) =>
        watch.tell((i + part) / tasks.length, `${task.cloth.name}: ${note}`, best),
      );
      const alone = await layAlone(task, plan, loaded.seed, cancel);
      results.push({ task, plan, figures: settle(task, plan, alone) });
    }
    await save(db, batchId, run, loaded, results);
  } catch (error) {
    const message =
      error instanceof LayFailure ? error.message : `The lay could not be made: ${(error as Error).message}`;
    await db
      .update(schema.batches)
      .set({ status: 'failed', error: message, bestSoFar: null, updatedAt: new Date() })
      .where(current);
    if (!(error instanceof LayFailure)) throw error;
  } finally {
    await watch.end();
  }
}

function layTogether(
  task: ClothTask,
  { seconds, seed }: Loaded,
  cancel: Cancel,
  tell: (part: number, note: string, best: BestSoFar | null) => void,
) {
  const { cloth, units } = task;
  let drawn: Pick<BestSoFar, 'widthMm' | 'rings'> | null = null;
  return layOnAllCores({ json: task.whole.json, seconds, seed }, cancel, ({ done, used, bound, sketch }) => {
    const inMm = (length: Nm) => Math.round(length / NM.mm);
    if (sketch) {
      const rings = sketch.rings.map(({ isStrip, ring }) => ({
        isStrip,
        ring: ring.map(([x, y]): [number, number] => [inMm(y), inMm(x)]),
      }));
      drawn = { widthMm: inMm(sketch.width), rings };
    }
    const best = drawn && { cloth: cloth.name, units, usedNm: used, boundNm: bound, ...drawn };
    tell(done, used > 0 ? 'finding a shorter lay' : 'first lay', best);
  });
}

/**
 * The length that each order takes by itself: the same for those that cut the same, however the searches end. One order is the whole
 * batch; a cancelled search still gives its first lay.
 */
async function layAlone(task: ClothTask, whole: LayPlan, seed: number, cancel: Cancel): Promise<number[]> {
  if (task.orders.length === 1) return [whole.used];
  const plans = task.orders.map(({ job, like }, i) =>
    like < i ? null : layInPool({ json: job.json, seconds: 2, steps: ALONE_STEPS, seed }, cancel),
  );
  return Promise.all(task.orders.map(async ({ like }) => (await plans[like]!).used));
}

/** Loads what a batch cuts: the cut list of its lines by order, and the cloths that they name. */
async function loadBatch(db: Database, batchId: number): Promise<Loaded> {
  const batch = (await db.select().from(schema.batches).where(eq(schema.batches.id, batchId)))[0]!;
  const lines = await db
    .select({ line: schema.orderLines, order: schema.orders })
    .from(schema.orderLines)
    .innerJoin(schema.orders, eq(schema.orders.id, schema.orderLines.orderId))
    .where(eq(schema.orderLines.batchId, batchId))
    .orderBy(schema.orders.no, schema.orderLines.position);
  const ids = lines.map(({ line }) => line.id);
  if (ids.length === 0) throw new LayFailure('There is nothing to cut in this batch: choose some order lines first.');
  const values = await db.select().from(schema.lineValues).where(inArray(schema.lineValues.lineId, ids));
  const named = await db.select().from(schema.lineCloths).where(inArray(schema.lineCloths.lineId, ids));
  const clothRows = await db
    .select()
    .from(schema.cloths)
    .where(inArray(schema.cloths.id, [...new Set(named.map(({ clothId }) => clothId))]))
    .orderBy(schema.cloths.name);
  const parts = await db.select().from(schema.lineParts).where(inArray(schema.lineParts.lineId, ids));
  const kinds = await loadKindBook(db);
  const cloths = new Map(clothRows.map((row) => [String(row.id), toCloth(row)]));

  const orders: Loaded['orders'] = [];
  for (const orderId of new Set(lines.map(({ order }) => order.id))) {
    const own = lines.filter(({ order }) => order.id === orderId);
    const { no, units } = own[0]!.order;
    const list = cutList(
      own.map(({ line }) =>
        toOrderLine(
          line,
          values.filter(({ lineId }) => lineId === line.id),
          named.filter(({ lineId }) => lineId === line.id),
          parts.filter(({ lineId }) => lineId === line.id),
        ),
      ),
      units,
      { kinds, cloths },
    );
    if (!list.ok) throw new LayFailure(`Order ${no}: ${list.faults[0]!.message}`);
    const stop = list.value.warnings.find(({ level }) => level === 'stop');
    if (stop)
      throw new LayFailure(
        `Order ${no}, line ${stop.line} (${kinds.find(own.find(({ line }) => String(line.position) === stop.line)!.line.kind)!.name}): ${stop.message}`,
      );
    orders.push({ orderId, orderNo: String(no), cutList: list.value });
  }
  return {
    seconds: batch.seconds,
    seed: batch.seed,
    orders,
    cloths: clothRows.map((row) => ({
      key: String(row.id),
      cloth: cloths.get(String(row.id))!,
      units: row.units,
      row,
    })),
  };
}

/** Writes progress to the batch's row now and then, and hears there that the search should end. */
function watchBatch(db: Database, batchId: number, run: number, cancel: Cancel) {
  let latest: { progress: number; note: string; best: BestSoFar | null } = {
    progress: 0,
    note: 'Reading the orders',
    best: null,
  };
  const current = and(eq(schema.batches.id, batchId), eq(schema.batches.run, run));
  const beat = async () => {
    const [row] = await db
      .update(schema.batches)
      .set({
        progress: Math.min(1, latest.progress),
        progressNote: latest.note,
        bestSoFar: latest.best,
        updatedAt: new Date(),
      })
      .where(current)
      .returning({ cancelRequested: schema.batches.cancelRequested });
    // A batch that was deleted or asked for again needs no further search either.
    if (!row || row.cancelRequested) cancel.request();
  };
  let pending: Promise<unknown> = Promise.resolve();
  const timer = setInterval(() => {
    pending = beat().catch(() => undefined);
  }, TELL_EVERY_MS);
  return {
    tell: (progress: number, note: string, best: BestSoFar | null) => {
      latest = { progress, note, best };
    },
    end: async () => {
      clearInterval(timer);
      await pending;
    },
  };
}

async function save(
  db: Database,
  batchId: number,
  run: number,
  loaded: Loaded,
  results: { task: ClothTask; plan: LayPlan; figures: LayFigures }[],
) {
  await db.transaction(async (tx) => {
    const done = await tx
      .update(schema.batches)
      .set({
        status: 'laid',
        progress: 1,
        progressNote: '',
        bestSoFar: null,
        error: '',
        cancelRequested: false,
        version: sql`${schema.batches.version} + 1`,
        updatedAt: new Date(),
      })
      .where(and(eq(schema.batches.id, batchId), eq(schema.batches.run, run), eq(schema.batches.status, 'laying')))
      .returning({ id: schema.batches.id });
    if (done.length === 0) return;
    await tx.delete(schema.lays).where(eq(schema.lays.batchId, batchId));
    for (const { task, plan, figures } of results) {
      const [lay] = await tx
        .insert(schema.lays)
        .values({
          batchId,
          clothId: Number(task.key),
          units: task.units,
          cloth: loaded.cloths.find(({ key }) => key === task.key)!.row,
          job: task.whole.json,
          parts: task.whole.parts,
          plan: planToJson(plan, task.units),
          usedNm: figures.used,
          boundNm: figures.bound,
          boughtNm: figures.bought,
          handNm: figures.hand,
          handCostMinor: figures.handCost,
          costMinor: figures.cost,
          currency: task.cloth.price.currency,
          wastePart: figures.waste,
        })
        .returning({ id: schema.lays.id });
      await tx.insert(schema.layShares).values(
        figures.shares.map((share) => ({
          layId: lay!.id,
          orderId: loaded.orders.find(({ orderNo }) => orderNo === share.orderNo)!.orderId,
          aloneNm: share.alone,
          aloneCostMinor: share.aloneCost,
          handNm: share.hand,
          handCostMinor: share.handCost,
          areaMm2: share.areaMm2,
          usedNm: share.used,
          shareByLengthMinor: share.byLength,
          shareByAreaMinor: share.byArea,
        })),
      );
    }
  });
}

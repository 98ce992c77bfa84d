import { createHash } from 'node:crypto';
import { and, eq, inArray, notInArray, sql } from 'drizzle-orm';
import {
  clothTasks,
  LAY_RUN_TRANSITIONS,
  settle,
  type BatchCloth,
  type BestSoFar,
  type ClothTask,
  type LayFigures,
} from '@/core/batch';
import { cutList, type BatchOrder } from '@/core/cutlist';
import { bestOf, copiesOf, MOST_COPIES, type LayPlan, type NestProgress } from '@/core/lay';
import { NM, type Nm } from '@/core/length';
import { writeMarker } from '@/core/marker';
import { schema, type Database } from '@/db';
import { loadKindBook } from '@/db/kinds';
import { keepVersions, nextVersion } from '@/db/lay-versions';
import { toCloth, toOrderLine, type ClothRow } from '@/db/rows';
import { byGain, firstLook, gainOf, LEAST_SECONDS, shareTime } from './lay-time';
import { Cancel, layInPool, layOnAllCores, SearchEnded } from './pool';

/** A lay that can't be made, in words for the person who asked for it. */
export class LayFailure extends Error {}

/** Orders whose worker died so often while they were laid are not tried again. */
export const MOST_ATTEMPTS = 3;
/** An order alone is laid for its share only: a short search is enough. */
const ALONE_STEPS = 600;
const ALONE_SECONDS = 1;
const REPORT_EVERY_MS = 300;

interface Loaded {
  seconds: number;
  seed: number;
  orders: (BatchOrder & { orderId: number })[];
  cloths: (BatchCloth & { row: ClothRow })[];
}

/** A run as one worker holds it: nothing is written for a lease that has passed to another. */
interface Lease {
  runId: number;
  batchId: number;
  attempt: number;
}

const isHeld = ({ runId, attempt }: Lease) =>
  and(eq(schema.layRuns.id, runId), eq(schema.layRuns.attempts, attempt), eq(schema.layRuns.state, 'running'));

/**
 * Works a lay run: loads its batch, lays every cloth in the pool with progress and cancelling through the run's
 * row, and saves all lays with their figures in one transaction. The run's time is shared over the cloths (`shareTime`). Does
 * nothing when another worker has the run, or the batch has been asked for again or changed since. A failure is written on the run.
 */
export async function layBatch(db: Database, runId: number, worker: string): Promise<void> {
  const lease = await take(db, runId, worker);
  if (!lease) return;
  if (lease.attempt > MOST_ATTEMPTS) {
    await fail(
      db,
      lease,
      `The lays were begun ${MOST_ATTEMPTS} times, and each time the program that makes them ended. Lay fewer lines at a time.`,
    );
    return;
  }
  const cancel = new Cancel();
  const watch = watchRun(db, lease, cancel);
  try {
    const loaded = await loadBatch(db, lease.batchId);
    const tasks = clothTasks(loaded.orders, loaded.cloths);
    if (tasks.length === 0)
      throw new LayFailure('There is nothing to cut in this batch: choose some order lines first.');
    for (const { cloth, whole } of tasks)
      if (copiesOf(whole.job) > MOST_COPIES)
        throw new LayFailure(`${copiesOf(whole.job).toLocaleString('en')} pieces and strips are to be cut from ${cloth.name}, more than ${MOST_COPIES.toLocaleString('en')}: make two batches of these lines.`); // prettier-ignore
    const plans = await layCloths(tasks, loaded, cancel, watch.report);
    watch.report({ progress: 0.95, note: 'What each order takes by itself', secondsLeft: null, best: null });
    const results: Result[] = [];
    for (const [i, task] of tasks.entries()) {
      const plan = plans[i]!;
      results.push({
        task,
        plan,
        figures: settle(task, plan, await lengthsAlone(db, task, plan, loaded.seed, cancel)),
      });
    }
    await save(db, lease, loaded, results);
  } catch (error) {
    const isKnown = error instanceof LayFailure || error instanceof SearchEnded;
    await fail(db, lease, isKnown ? error.message : `The lay could not be made: ${(error as Error).message}`);
    if (!isKnown) throw error;
  } finally {
    await watch.end();
  }
}

/** Makes the lays of a batch here and now, in `seconds`, without the queue. */
export async function layAtOnce(db: Database, batchId: number, seconds: number): Promise<void> {
  const [run] = await db.insert(schema.layRuns).values({ batchId, seconds }).returning({ id: schema.layRuns.id });
  await db
    .update(schema.batches)
    .set({ status: 'queued', seconds, runId: run!.id })
    .where(eq(schema.batches.id, batchId));
  await layBatch(db, run!.id, 'here');
}

/** Takes a waiting run; null when another has it or nobody wants it any more. */
async function take(db: Database, runId: number, worker: string): Promise<Lease | null> {
  return db.transaction(async (tx) => {
    // Batches are locked before their runs, as everywhere.
    const [batch] = await tx.select({ id: schema.batches.id }).from(schema.batches).where(eq(schema.batches.runId, runId)).for('update'); // prettier-ignore
    if (!batch) return null;
    const [taken] = await tx
      .update(schema.layRuns)
      .set({
        state: LAY_RUN_TRANSITIONS.take.to,
        worker,
        progress: 0,
        note: 'Reading the orders',
        attempts: sql`${schema.layRuns.attempts} + 1`,
        heartbeatAt: sql`now()`,
      })
      .where(and(eq(schema.layRuns.id, runId), inArray(schema.layRuns.state, LAY_RUN_TRANSITIONS.take.from)))
      .returning({ attempt: schema.layRuns.attempts });
    if (!taken) return null;
    await tx.update(schema.batches).set({ status: 'laying' }).where(eq(schema.batches.id, batch.id));
    return { runId, batchId: batch.id, attempt: taken.attempt };
  });
}

async function fail(db: Database, lease: Lease, error: string): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.select({ id: schema.batches.id }).from(schema.batches).where(eq(schema.batches.id, lease.batchId)).for('update'); // prettier-ignore
    const failed = await tx
      .update(schema.layRuns)
      .set({ state: 'failed', error, bestSoFar: null, secondsLeft: null, endedAt: sql`now()` })
      .where(isHeld(lease))
      .returning({ id: schema.layRuns.id });
    if (failed.length > 0)
      await tx
        .update(schema.batches)
        .set({ status: 'failed', updatedAt: new Date() })
        .where(and(eq(schema.batches.id, lease.batchId), eq(schema.batches.runId, lease.runId)));
  });
}

interface Result {
  task: ClothTask;
  plan: LayPlan;
  figures: LayFigures;
}

/**
 * One plan a cloth within the batch's time: a first look at every cloth, then the rest of the time where money can still be gained, each
 * search ending early once its lay stops getting shorter. The better of a cloth's two lays stays.
 */
async function layCloths(
  tasks: readonly ClothTask[],
  { seconds, seed }: Loaded,
  cancel: Cancel,
  report: (told: Progress) => void,
): Promise<LayPlan[]> {
  const begun = performance.now();
  const left = () => Math.max(0, seconds - (performance.now() - begun) / 1000);
  const layOne = (task: ClothTask, share: number, isFirst: boolean) =>
    layTogether(task, { seconds: share, seed: isFirst ? seed : seed + 1 }, cancel, (best) =>
      report({
        progress: 0.95 * Math.min(1, 1 - left() / seconds),
        note: `${task.cloth.name}: ${best === null ? 'first lay' : 'finding a shorter lay'}`,
        secondsLeft: Math.ceil(left()),
        best,
      }),
    );
  const plans: LayPlan[] = [];
  for (const task of tasks) plans.push(await layOne(task, firstLook(seconds, tasks.length), true));
  const gains = tasks.map((task, i) => gainOf(task, plans[i]!));
  for (const i of byGain(gains)) {
    if (cancel.isOn || left() < LEAST_SECONDS) break;
    const share = shareTime(gains, i, left());
    gains[i] = 0;
    if (share < LEAST_SECONDS) continue;
    const again = await layOne(tasks[i]!, share, false);
    plans[i] = bestOf([plans[i]!, again]);
  }
  return plans;
}

function layTogether(
  { cloth, units, whole }: ClothTask,
  { seconds, seed }: { seconds: number; seed: number },
  cancel: Cancel,
  report: (best: BestSoFar | null) => void,
) {
  let drawn: Pick<BestSoFar, 'widthMm' | 'rings'> | null = null;
  const onProgress = ({ used, bound, unplaced, sketch }: NestProgress) => {
    const inMm = (length: Nm) => Math.round(length / NM.mm);
    if (sketch) {
      const rings = sketch.rings.map(({ isStrip, ring }) => ({
        isStrip,
        ring: ring.map(([x, y]): [number, number] => [inMm(y), inMm(x)]),
      }));
      drawn = { widthMm: inMm(sketch.width), rings };
    }
    const names = unplaced.slice(0, MOST_NAMED).map((one) => ('piece' in one ? one.piece : one.strip));
    const left = { unplaced: [...new Set(names)], unplacedCount: unplaced.length };
    report(used > 0 && drawn ? { cloth: cloth.name, units, usedNm: used, boundNm: bound, ...left, ...drawn } : null);
  };
  return layOnAllCores({ job: whole.job, seconds, seed }, cancel, { onProgress, endsStale: true });
}

/** So many of the pieces that lie nowhere yet are named. */
const MOST_NAMED = 6;

/**
 * The length (nm) that each order takes by itself: the same for those that cut the same, and computed once ever, as long as what is
 * cut stays the same. One order is the whole batch; a cancelled search still gives its first lay, which is not kept.
 */
async function lengthsAlone(
  db: Database,
  { orders }: ClothTask,
  whole: LayPlan,
  seed: number,
  cancel: Cancel,
): Promise<Nm[]> {
  if (orders.length === 1) return [whole.used];
  const keyOf = (content: string) => createHash('sha256').update(content).digest('hex');
  const jobs = new Map(orders.map(({ content, job }) => [keyOf(content), job]));
  const rows = await db
    .select()
    .from(schema.aloneLays)
    .where(inArray(schema.aloneLays.key, [...jobs.keys()]));
  const known = new Map(rows.map(({ key, usedNm }) => [key, usedNm]));
  await Promise.all(
    [...jobs].map(async ([key, { job }]) => {
      if (known.has(key)) return;
      const { used } = await layInPool({ job, seconds: ALONE_SECONDS, steps: ALONE_STEPS, seed }, cancel);
      known.set(key, used);
      if (cancel.isOn) return;
      await db.insert(schema.aloneLays).values({ key, usedNm: used }).onConflictDoNothing();
    }),
  );
  return orders.map(({ content }) => known.get(keyOf(content))!);
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

/** How far a run has come. */
interface Progress {
  /** 0 to 1. */
  progress: number;
  note: string;
  secondsLeft: number | null;
  best: BestSoFar | null;
}

/** Writes progress to the run's row now and then, which is its heartbeat, and reads there that the search should end. */
function watchRun(db: Database, lease: Lease, cancel: Cancel) {
  let latest: Progress = { progress: 0, note: 'Reading the orders', secondsLeft: null, best: null };
  const beat = async () => {
    const [row] = await db
      .update(schema.layRuns)
      .set({
        progress: Math.min(1, latest.progress),
        note: latest.note,
        secondsLeft: latest.secondsLeft,
        bestSoFar: latest.best,
        heartbeatAt: sql`now()`,
      })
      .where(isHeld(lease))
      .returning({ cancelRequested: schema.layRuns.cancelRequested });
    // A batch that was deleted or asked for again, or a lease that has passed on, needs no further search either.
    if (!row || row.cancelRequested) cancel.request();
  };
  let pending: Promise<unknown> = Promise.resolve();
  const timer = setInterval(() => {
    pending = beat().catch(() => undefined);
  }, REPORT_EVERY_MS);
  return {
    report: (told: Progress) => {
      latest = told;
    },
    end: async () => {
      clearInterval(timer);
      await pending;
    },
  };
}

async function save(db: Database, lease: Lease, loaded: Loaded, results: readonly Result[]) {
  const { batchId } = lease;
  await db.transaction(async (tx) => {
    await tx.select({ id: schema.batches.id }).from(schema.batches).where(eq(schema.batches.id, batchId)).for('update');
    const done = await tx
      .update(schema.layRuns)
      .set({
        state: LAY_RUN_TRANSITIONS.finish.to,
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
      .set({ status: 'laid', version: sql`${schema.batches.version} + 1`, updatedAt: new Date() })
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
    for (const { task, plan, figures } of results) {
      const clothId = Number(task.key);
      const row = {
        batchId,
        clothId,
        units: task.units,
        cloth: loaded.cloths.find(({ key }) => key === task.key)!.row,
        ...writeMarker({ version: await nextVersion(tx, batchId, clothId), cloth: task.cloth, plan, ...task.whole }),
        usedNm: figures.used,
        boundNm: figures.bound,
        boughtNm: figures.bought,
        handNm: figures.hand,
        handCostMinor: figures.handCost,
        costMinor: figures.cost,
        currency: task.cloth.price.currency,
        wastePart: figures.waste,
      };
      const [lay] = await tx
        .insert(schema.lays)
        .values(row)
        .onConflictDoUpdate({
          target: [schema.lays.batchId, schema.lays.clothId],
          set: { ...row, createdAt: new Date() },
        })
        .returning({ id: schema.lays.id });
      await tx.delete(schema.layShares).where(eq(schema.layShares.layId, lay!.id));
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

import { eq } from 'drizzle-orm';
import {
  BATCH_TRANSITIONS,
  bestVariant,
  clothTasks,
  settle,
  stockVariants,
  withoutDear,
  type BestSoFar,
  type ClothTask,
  type LaidTask,
} from '@/core/batch';
import { movesOf } from '@/core/transitions';
import { bestOf, copiesOf, MOST_COPIES, type LayPlan, type NestProgress } from '@/core/lay';
import { NM, type Nm } from '@/core/length';
import { schema, type Database } from '@/db';
import { readCosting } from '@/core/cost/costing-form';
import { loadCosting } from '@/records/costing';
import { byGain, firstLook, gainOf, LEAST_SECONDS, shareTime } from './lay-time';
import { fail, take, watchRun, type Progress } from './lease';
import { lengthsOnceEver } from './lengths-alone';
import { loadBatch, type Loaded } from '@/records/load-batch';
import { LayFailure } from '@/records/cut-lists';
import { Cancel, layOnAllCores, SearchEnded } from './pool';
import { saveLays, type LaidCloth } from './save-lays';

/** Orders whose worker died so often while they were laid are not tried again. */
const MOST_ATTEMPTS = 3;

/**
 * Works a lay run: loads its batch, lays every cloth in the pool with progress and cancelling through the run's
 * row, and saves all lays with their figures in one transaction. The run's time is shared over the cloths (`shareTime`). Does
 * nothing when another worker has the run, or the batch has been asked for again or changed since. A failure is written on the run.
 * `within` is other seconds than the run's own.
 */
export async function layBatch(db: Database, runId: number, worker: string, within?: number): Promise<void> {
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
    const cloths = clothTasks(loaded.orders, loaded.cloths);
    const { leastRemnant } = readCosting(await loadCosting(db)).value;
    if (cloths.length === 0)
      throw new LayFailure('There is nothing to cut in this batch: choose some order lines first.');
    for (const { cloth, whole } of cloths)
      if (copiesOf(whole.job) > MOST_COPIES)
        throw new LayFailure(
          `${copiesOf(whole.job).toLocaleString('en')} pieces and strips are to be cut from ${cloth.name}, more than ${MOST_COPIES.toLocaleString('en')}: make two batches of these lines.`,
        );
    const { seed, seconds } = loaded;
    const laid = await layCloths(cloths, { seed, seconds: within ?? seconds, leastRemnant }, cancel, watch.report);
    watch.report({ progress: 0.95, note: 'What each order takes by itself', secondsLeft: null, best: null });
    const results: LaidCloth[] = [];
    for (const { task, plan } of laid) {
      results.push({
        task,
        plan,
        figures: settle(task, plan, await lengthsAlone(db, task, plan, loaded.seed, cancel)),
        plainNm: await lengthWithoutPattern(db, task, loaded.seed, cancel),
      });
    }
    await saveLays(db, lease, loaded, results);
  } catch (error) {
    const isKnown = error instanceof LayFailure || error instanceof SearchEnded;
    await fail(db, lease, isKnown ? error.message : `The lay could not be made: ${(error as Error).message}`);
    if (!isKnown) throw error;
  } finally {
    await watch.end();
  }
}

/** Makes the lays of a batch here and now, within `within` seconds or parts of one, without the queue. */
export async function layAtOnce(db: Database, batchId: number, within: number): Promise<void> {
  const seconds = Math.ceil(within);
  const [run] = await db.insert(schema.layRuns).values({ batchId, seconds }).returning({ id: schema.layRuns.id });
  await db
    .update(schema.batches)
    .set({ status: movesOf(BATCH_TRANSITIONS, 'ask').to, seconds, runId: run!.id })
    .where(eq(schema.batches.id, batchId));
  await layBatch(db, run!.id, 'here', within);
}

/**
 * One lay a cloth within the batch's time: a first look at every cloth, with its remnants and without them, which decides the stock
 * (`bestVariant`); then the rest of the time where money can still be gained, each search ending early once its lay stops getting shorter.
 * The better of a cloth's two lays stays.
 */
async function layCloths(
  cloths: readonly ClothTask[],
  { seconds, seed, leastRemnant }: Pick<Loaded, 'seconds' | 'seed'> & { leastRemnant: readonly [Nm, Nm] },
  cancel: Cancel,
  report: (progress: Progress) => void,
): Promise<LaidTask[]> {
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
  const variants = cloths.map(stockVariants);
  const look = firstLook(seconds, variants.flat().length);
  const laid: LaidTask[] = [];
  for (const some of variants) {
    const tried: LaidTask[] = [];
    for (const task of some) tried.push({ task, plan: await layOne(task, look, true) });
    const third = tried.length === 2 ? withoutDear(tried[0]!, tried[1]!) : null;
    if (third) tried.push({ task: third, plan: await layOne(third, look, true) });
    laid.push(bestVariant(tried, leastRemnant));
  }
  const gains = laid.map(({ task, plan }) => gainOf(task, plan));
  for (const i of byGain(gains)) {
    if (cancel.isOn || left() < LEAST_SECONDS) break;
    const share = shareTime(gains, i, left());
    gains[i] = 0;
    if (share < LEAST_SECONDS) continue;
    const { task, plan } = laid[i]!;
    laid[i] = { task, plan: bestOf([plan, await layOne(task, share, false)]) };
  }
  return laid;
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

/** Most unplaced pieces that are named. */
const MOST_NAMED = 6;

/** The length (nm) that each order takes by itself. One order on a plain roll is the whole batch. */
async function lengthsAlone(
  db: Database,
  task: ClothTask,
  whole: LayPlan,
  seed: number,
  cancel: Cancel,
): Promise<Nm[]> {
  const { orders, stock } = task;
  if (orders.length === 1 && !stock) return [whole.used];
  const lengths = await lengthsOnceEver(
    db,
    orders.map(({ content, job }) => ({ content, job: job.job })),
    seed,
    cancel,
  );
  return orders.map(({ content }) => lengths.get(content)!);
}

/** How long the same pieces lie on a plain roll where nothing has to match (nm): what is longer is there for the pattern. */
async function lengthWithoutPattern(
  db: Database,
  { whole }: ClothTask,
  seed: number,
  cancel: Cancel,
): Promise<Nm | null> {
  const { job } = whole;
  if (!job.lattice || !job.pieces.some(({ match }) => match)) return null;
  const [roll] = job.stock.slice(-1);
  const plain = {
    ...job,
    lattice: null,
    stock: [{ ...roll!, id: 'roll', length: Infinity, flaws: [], outline: null }],
    pieces: job.pieces.map((piece) => ({ ...piece, match: null })),
  };
  const content = JSON.stringify([
    plain.pieces.map(({ id: _, ...rest }) => rest),
    plain.strips,
    plain.stock[0]!.left,
    plain.stock[0]!.right,
  ]);
  return (await lengthsOnceEver(db, [{ content, job: plain }], seed, cancel)).get(content)!;
}

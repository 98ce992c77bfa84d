import { randomUUID } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import Piscina from 'piscina';
import { bestOf, isAtBound, type LayPlan, type NestProgress } from '@/core/lay';
import type { LayTask } from './lay-worker';

const held = globalThis as { jollyBoltPool?: Piscina };

const home = () => process.env.JOLLY_BOLT_HOME ?? process.cwd();

/** A search that is over, or was asked to end, has so long to answer; then its thread is ended and replaced. */
const GRACE_MS = 5_000;
/** A search whose lay has not become shorter for so long, and for such a share of its time so far, may end. */
const STALE_MS = 1_500;
const STALE_SHARE = 0.5;

/** How many cores the lays may use: all, or as many as the worker was given. */
const cores = () => Math.max(1, Number(process.env.JOLLY_BOLT_CORES) || availableParallelism());

/** The threads that lay, one a core; started at first use and kept. */
const pool = () =>
  (held.jollyBoltPool ??= new Piscina({
    filename: join(/*turbopackIgnore: true*/ home(), 'dist', 'lay-worker.mjs'),
    minThreads: 0,
    maxThreads: cores(),
    idleTimeout: 30_000,
  }));

/** A search that did not end when it should have, and whose thread was ended. */
export class SearchEnded extends Error {
  constructor() {
    super(
      'The search did not answer in time and was ended. Make the lays again; if that happens once more, lay fewer lines at a time.',
    );
  }
}

/** A switch that ends running searches at their best lay so far. */
export class Cancel {
  private readonly searches = new Set<{ memory: SharedArrayBuffer; onRequest: () => void }>();
  private isRequested = false;

  /** True once the request has been made. */
  get isOn(): boolean {
    return this.isRequested;
  }

  request() {
    if (this.isRequested) return;
    this.isRequested = true;
    for (const { memory, onRequest } of this.searches) {
      endSearch(memory);
      onRequest();
    }
  }

  /** Shared memory of one search: a request is written there, and `onRequest` is called, until it is released. */
  hold(onRequest: () => void): { memory: SharedArrayBuffer; release: () => void } {
    const search = { memory: new SharedArrayBuffer(8), onRequest };
    this.searches.add(search);
    if (this.isRequested) {
      endSearch(search.memory);
      onRequest();
    }
    return { memory: search.memory, release: () => this.searches.delete(search) };
  }
}

const endSearch = (memory: SharedArrayBuffer) => Atomics.store(new Int32Array(memory), 0, 1);

type Task = Omit<LayTask, 'cancel' | 'port' | 'worker' | 'channel'>;

/** Runs one nesting in the pool and reports its progress. */
export async function layInPool(
  task: Task,
  cancel: Cancel,
  onProgress?: (progress: NestProgress) => void,
): Promise<LayPlan> {
  const worker = new SearchWorker(task, 0, cancel);
  return worker.run(onProgress);
}

/** How a search on all cores goes on. */
interface Search {
  onProgress?: (progress: NestProgress) => void;
  /** End it early once its lay stops getting shorter. */
  endsStale?: boolean;
}

/**
 * Runs one nesting on every core and keeps the best plan. Each worker searches in its own way; one that reaches the bound
 * gives the others only as many passes as it took itself, so that it does not depend on the machine which one wins. Where
 * time bounds the search they tell each other of better lays. A worker that breaks off loses only its own plan.
 */
export async function layOnAllCores(
  task: Task,
  cancel: Cancel,
  { onProgress, endsStale }: Search = {},
): Promise<LayPlan> {
  const count = cores();
  const channel = task.steps === undefined && count > 1 ? randomUUID() : undefined;
  const workers = Array.from(
    { length: count },
    (_, i) => new SearchWorker({ ...task, ...(channel && { channel }) }, i, cancel),
  );
  const best = new BestProgress();
  const start = performance.now();
  let betterAt = start;
  const tell = (progress: NestProgress) => {
    const now = performance.now();
    if (best.take(progress)) betterAt = now;
    if (endsStale && now - betterAt > Math.max(STALE_MS, STALE_SHARE * (now - start)))
      workers.forEach((worker) => worker.end());
    onProgress?.(best.told(progress));
  };
  const ended = await Promise.allSettled(
    workers.map(async (worker, i) => {
      const plan = await worker.run(tell);
      if (isAtBound(plan))
        workers.forEach((other, k) => k !== i && other.limit(Math.ceil(plan.passes) + (k < i ? 1 : 0)));
      return plan;
    }),
  );
  const plans = ended.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
  if (plans.length > 0) return bestOf(plans);
  throw (ended[0] as PromiseRejectedResult).reason;
}

/** The best of what several workers tell of their lays so far, with a bound that holds for what it lays. */
class BestProgress {
  private best: NestProgress | null = null;
  private bound = 0;
  private isNew = false;

  /** Takes a worker's report; true when it is better than all before. */
  take(progress: NestProgress): boolean {
    const { best } = this;
    if (progress.used > 0 && progress.unplaced.length === (best?.unplaced.length ?? 0))
      this.bound = Math.max(this.bound, progress.bound);
    this.isNew =
      progress.used > 0 &&
      (!best ||
        progress.unplaced.length < best.unplaced.length ||
        (progress.unplaced.length === best.unplaced.length && progress.used < best.used));
    if (!this.isNew) return false;
    if (best && progress.unplaced.length < best.unplaced.length) this.bound = progress.bound;
    this.best = progress;
    return true;
  }

  /** The report of it now, as far along as `progress` is. */
  told({ done, sketch, ...rest }: NestProgress): NestProgress {
    const { used, unplaced } = this.best ?? rest;
    return {
      done,
      used,
      unplaced,
      bound: Math.min(used || Infinity, Math.max(this.bound, this.best ? 0 : rest.bound)),
      ...(this.isNew && sketch && { sketch }),
    };
  }
}

/** One search in a thread of the pool, which is ended when it does not answer in time. */
class SearchWorker {
  private readonly killer = new AbortController();
  private readonly memory: SharedArrayBuffer;
  private readonly release: () => void;
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly task: Task & { channel?: string },
    private readonly number: number,
    cancel: Cancel,
  ) {
    const { memory, release } = cancel.hold(() => this.killIn(GRACE_MS));
    this.memory = memory;
    this.release = release;
  }

  /** Ends the search at its best lay so far. */
  end() {
    endSearch(this.memory);
  }

  /** Lets it take no more passes than that. */
  limit(passes: number) {
    const flags = new Int32Array(this.memory);
    const now = Atomics.load(flags, 1);
    if (now === 0 || passes < now) Atomics.store(flags, 1, passes);
  }

  private killIn(ms: number) {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.killer.abort(), ms);
  }

  async run(onProgress?: (progress: NestProgress) => void): Promise<LayPlan> {
    const { port1, port2 } = new MessageChannel();
    let isOn = false;
    // It may wait for a thread first: its time begins with its first word.
    port1.on('message', (progress: NestProgress | null) => {
      if (!isOn) this.killIn(1000 * this.task.seconds + GRACE_MS);
      isOn = true;
      if (progress) onProgress?.(progress);
    });
    try {
      const { task, number: worker, memory: cancel } = this;
      return (await pool().run({ ...task, worker, cancel, port: port2 } satisfies LayTask, {
        transferList: [port2],
        signal: this.killer.signal,
      })) as LayPlan;
    } catch (error) {
      throw this.killer.signal.aborted ? new SearchEnded() : error;
    } finally {
      clearTimeout(this.timer);
      this.release();
      port1.close();
    }
  }
}

/** Ends the threads; for programs that end. */
export async function closePool() {
  await held.jollyBoltPool?.destroy();
  held.jollyBoltPool = undefined;
}

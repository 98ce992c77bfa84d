import { randomUUID } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import Piscina from 'piscina';
import { bestOf, isAtBound, type LayPlan, type NestProgress } from '@/core/lay';
import type { LayTask } from './lay-worker';

const held = globalThis as { jollyBoltPool?: Piscina };

const home = () => process.env.JOLLY_BOLT_HOME ?? process.cwd();

/** The threads that lay, one a core; started at first use and kept. */
const pool = () =>
  (held.jollyBoltPool ??= new Piscina({
    filename: join(/*turbopackIgnore: true*/ home(), 'dist', 'lay-worker.mjs'),
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism()),
    idleTimeout: 30_000,
  }));

/** A switch that ends running searches at their best lay so far. */
export class Cancel {
  private readonly memories = new Set<SharedArrayBuffer>();
  private isRequested = false;

  request() {
    this.isRequested = true;
    for (const memory of this.memories) Atomics.store(new Int32Array(memory), 0, 1);
  }

  /** Shared memory of one search: it is told of the request as long as it is held. */
  hold(): SharedArrayBuffer {
    const memory = new SharedArrayBuffer(8);
    if (this.isRequested) Atomics.store(new Int32Array(memory), 0, 1);
    this.memories.add(memory);
    return memory;
  }

  release(memory: SharedArrayBuffer) {
    this.memories.delete(memory);
  }
}

type Task = Omit<LayTask, 'cancel' | 'port' | 'lane' | 'channel'>;

/** Runs one nesting in the pool and tells its progress. */
export async function layInPool(
  task: Task,
  cancel: Cancel,
  onProgress?: (progress: NestProgress) => void,
): Promise<LayPlan> {
  const memory = cancel.hold();
  try {
    return await runLane(task, 0, memory, onProgress);
  } finally {
    cancel.release(memory);
  }
}

/**
 * Runs one nesting on every core and keeps the best plan. Each lane searches in its own way; one that reaches the bound
 * gives the others only as many passes as it took itself, so that it does not depend on the machine which one wins. Where
 * time bounds the search they tell each other of better lays.
 */
export async function layOnAllCores(
  task: Task,
  cancel: Cancel,
  onProgress?: (progress: NestProgress) => void,
): Promise<LayPlan> {
  const lanes = Math.max(1, availableParallelism());
  const memories = Array.from({ length: lanes }, () => cancel.hold());
  const channel = task.steps === undefined && lanes > 1 ? randomUUID() : undefined;
  let best: NestProgress | null = null;
  const tell = (progress: NestProgress) => {
    const { sketch, ...rest } = progress;
    const isBest = progress.used > 0 && (!best || progress.used < best.used);
    if (isBest) best = progress;
    onProgress?.({ ...rest, used: best?.used ?? progress.used, ...(isBest && sketch && { sketch }) });
  };
  try {
    const plans = await Promise.all(
      memories.map(async (memory, lane) => {
        const plan = await runLane({ ...task, ...(channel && { channel }) }, lane, memory, tell);
        if (isAtBound(plan)) {
          for (const [other, flags] of memories.entries()) {
            const most = Math.ceil(plan.passes) + (other < lane ? 1 : 0);
            const now = Atomics.load(new Int32Array(flags), 1);
            if (other !== lane && (now === 0 || most < now)) Atomics.store(new Int32Array(flags), 1, most);
          }
        }
        return plan;
      }),
    );
    return bestOf(plans);
  } finally {
    for (const memory of memories) cancel.release(memory);
  }
}

async function runLane(
  task: Task & { channel?: string },
  lane: number,
  cancel: SharedArrayBuffer,
  onProgress?: (progress: NestProgress) => void,
): Promise<LayPlan> {
  const { port1, port2 } = new MessageChannel();
  if (onProgress) port1.on('message', onProgress);
  try {
    return (await pool().run({ ...task, lane, cancel, port: port2 } satisfies LayTask, {
      transferList: [port2],
    })) as LayPlan;
  } finally {
    port1.close();
  }
}

/** Ends the threads; for programs that end. */
export async function closePool() {
  await held.jollyBoltPool?.destroy();
  held.jollyBoltPool = undefined;
}

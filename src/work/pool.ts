import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import Piscina from 'piscina';
import type { LayPlan, NestProgress } from '@/core/lay';
import type { LayTask } from './lay-worker';

const held = globalThis as { jollyBoltPool?: Piscina };

/** The threads that lay, one a core; started at first use and kept. */
const pool = () =>
  (held.jollyBoltPool ??= new Piscina({
    filename: join(/*turbopackIgnore: true*/ process.cwd(), 'dist', 'lay-worker.mjs'),
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism()),
    idleTimeout: 30_000,
  }));

/** A switch that ends running searches at their best lay so far. */
export class Cancel {
  readonly memory = new SharedArrayBuffer(4);

  request() {
    Atomics.store(new Int32Array(this.memory), 0, 1);
  }
}

/** Runs one nesting in the pool and tells its progress. */
export async function layInPool(
  task: Omit<LayTask, 'cancel' | 'port'>,
  cancel: Cancel,
  onProgress?: (progress: NestProgress) => void,
): Promise<LayPlan> {
  const { port1, port2 } = new MessageChannel();
  if (onProgress) port1.on('message', onProgress);
  try {
    return (await pool().run({ ...task, cancel: cancel.memory, port: port2 } satisfies LayTask, {
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

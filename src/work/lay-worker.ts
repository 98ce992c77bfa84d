import { performance } from 'node:perf_hooks';
import type { MessagePort } from 'node:worker_threads';
import { nest, readJob, type LayPlan, type NestProgress } from '@/core/lay';

/**
 * One search over a lay job for a thread of the pool. `cancel` is shared memory: its first number is 1 once the search
 * should end, its second the passes after which it may (0: no end).
 */
export interface LayTask {
  json: unknown;
  seconds: number;
  seed: number;
  lane?: number;
  steps?: number;
  cancel: SharedArrayBuffer;
  port?: MessagePort;
}

export default function layTask({ json, seconds, seed, lane = 0, steps, cancel, port }: LayTask): LayPlan {
  const job = readJob(json);
  if (!job.ok) throw new Error(job.faults[0]!.message);
  const flags = new Int32Array(cancel);
  const plan = nest(job.value, {
    clock: () => performance.now(),
    seconds,
    seed,
    lane,
    ...(steps && { steps }),
    isCancelled: (passes) => {
      if (Atomics.load(flags, 0) === 1) return true;
      const most = Atomics.load(flags, 1);
      return most > 0 && passes >= most;
    },
    ...(port && { onProgress: (progress: NestProgress) => port.postMessage(progress) }),
  });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return plan.value;
}

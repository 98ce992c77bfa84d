import { performance } from 'node:perf_hooks';
import type { MessagePort } from 'node:worker_threads';
import { nest, readJob, type LayPlan, type NestProgress } from '@/core/lay';

/** One nesting for a thread of the pool. `cancel` is shared memory: its first number is 1 once the search should end. */
export interface LayTask {
  json: unknown;
  seconds: number;
  seed: number;
  steps?: number;
  cancel: SharedArrayBuffer;
  port?: MessagePort;
}

export default function layTask({ json, seconds, seed, steps, cancel, port }: LayTask): LayPlan {
  const job = readJob(json);
  if (!job.ok) throw new Error(job.faults[0]!.message);
  const flag = new Int32Array(cancel);
  const plan = nest(job.value, {
    clock: () => performance.now(),
    seconds,
    seed,
    ...(steps && { steps }),
    isCancelled: () => Atomics.load(flag, 0) === 1,
    ...(port && { onProgress: (progress: NestProgress) => port.postMessage(progress) }),
  });
  if (!plan.ok) throw new Error(plan.faults[0]!.message);
  return plan.value;
}

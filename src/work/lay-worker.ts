import { performance } from 'node:perf_hooks';
import { BroadcastChannel, receiveMessageOnPort, type MessagePort } from 'node:worker_threads';
import { nest, type LayJob, type LayPlan, type NestProgress, type Exchange, type SharedLay } from '@/core/lay';

/**
 * One search over a lay job for a thread of the pool. `cancel` is shared memory: its first number is 1 once the search
 * should end, its second the passes after which it may (0: no end).
 */
export interface LayTask {
  job: LayJob;
  seconds: number;
  seed: number;
  worker?: number;
  steps?: number;
  cancel: SharedArrayBuffer;
  /** Gets null when the search begins, then its progress. */
  port?: MessagePort;
  /** The name of the channel on which workers of the same search tell each other of better lays. */
  channel?: string;
}

export default function layTask({ job, seconds, seed, worker = 0, steps, cancel, port, channel }: LayTask): LayPlan {
  port?.postMessage(null);
  const flags = new Int32Array(cancel);
  const line = channel === undefined ? null : new BroadcastChannel(channel);
  try {
    const plan = nest(job, {
      clock: () => performance.now(),
      seconds,
      seed,
      worker,
      ...(steps && { steps }),
      isCancelled: (passes) => {
        if (Atomics.load(flags, 0) === 1) return true;
        const most = Atomics.load(flags, 1);
        return most > 0 && passes >= most;
      },
      ...(line && { exchange: exchangeOn(line) }),
      ...(port && { onProgress: (progress: NestProgress) => port.postMessage(progress) }),
    });
    if (!plan.ok) throw new Error(plan.faults[0]!.message);
    return plan.value;
  } finally {
    line?.close();
  }
}

const exchangeOn = (line: BroadcastChannel): Exchange => ({
  publish: (lay) => line.postMessage(lay),
  receive: () => {
    const shared: SharedLay[] = [];
    // Node takes a channel here as well; its types don't say so.
    const port = line as unknown as MessagePort;
    for (let next = receiveMessageOnPort(port); next; next = receiveMessageOnPort(port))
      shared.push(next.message as SharedLay);
    return shared;
  },
});

import { expose } from 'comlink';
import { nest, type LayJob, type LayPlan } from '@/core/lay';
import type { Result } from '@/core/result';

// Lays what is not locked again, away from the page.

const work = {
  /** Lays a job from nothing for so many seconds. */
  afresh: (
    job: LayJob,
    seconds: number,
    onBetter: (plan: LayPlan) => void,
    onProgress: (done: number) => void,
  ): Result<LayPlan> =>
    nest(job, { clock: () => performance.now(), seconds, onBetter, onProgress: ({ done }) => onProgress(done) }),

  /** Goes on from a plan for so many seconds: a first answer at once, better ones as they come, the best of all in the end. */
  again: (
    job: LayJob,
    start: LayPlan,
    seconds: number,
    onBetter: (plan: LayPlan) => void,
    onProgress: (done: number) => void,
  ): Result<LayPlan> => {
    const first = nest(job, { steps: 1, start });
    if (!first.ok) return first;
    onBetter(first.value);
    return nest(job, {
      clock: () => performance.now(),
      seconds,
      start: first.value,
      onBetter,
      onProgress: ({ done }) => onProgress(done),
    });
  },
};

export type LayAgainWork = typeof work;

expose(work);

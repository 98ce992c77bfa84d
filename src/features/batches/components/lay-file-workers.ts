import { bestOf, isAtBound, isBetter, type LayPlan } from '@/core/lay';
import { refuse, type Result } from '@/core/result';
import { pageWorker, whyBroken, type PageWorker } from '@/ui/page-worker';
import type { CheckedPlan, JobFigures, LayFileWork, LayPicture } from './lay-file-work';

/** No more workers than that, however many cores there are: each takes memory of its own. */
const MOST_WORKERS = 8;

/** Progress of a job while it is laid. */
interface LayEars {
  /** 0 to 1. */
  onProgress: (done: number) => void;
  /** Told of the best lay so far, whenever it or what is proven of it has become better. */
  onBetter: (plan: LayPlan, drawing: LayPicture[]) => void;
}

/** The workers behind the page: those of one question are ended before the next one is asked, and what they would still answer is not heard. */
export class LayFileWorkers {
  private workers: PageWorker<LayFileWork>[] = [];

  end() {
    for (const worker of this.workers) worker.end();
    this.workers = [];
  }

  read = (job: string): Promise<Result<JobFigures>> =>
    this.alone(({ ask }) => ask<Result<JobFigures>>(async (work) => await work.read(job)));

  check = (job: string, plan: string | LayPlan): Promise<Result<CheckedPlan>> =>
    this.alone(({ ask }) => ask<Result<CheckedPlan>>(async (work) => await work.check(job, plan)));

  /** Lays a job in a worker a core, each searching in its own way, and keeps the best plan of all. */
  async lay(job: string, seconds: number, { onProgress, onBetter }: LayEars): Promise<Result<LayPlan>> {
    this.end();
    const count = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency));
    const laid: LayPlan[] = [];
    let best: LayPlan | null = null;
    let shown: LayPicture[] = [];
    const hear = (plan: LayPlan, drawing: LayPicture[]) => {
      if (!best || isBetter(plan, best)) shown = drawing;
      // The first worker proves most: its bound holds for the plans of all.
      best = best ? bestOf([best, plan]) : plan;
      onBetter(best, shown);
    };
    return new Promise((resolve) => {
      for (let number = 0; number < count; number++) {
        void this.open(async ({ ask }) => {
          const tell = (done: number) => {
            if (number === 0) onProgress(done);
          };
          const answer = await ask<Result<LayPlan>>(
            async (work, earOf) => await work.lay(job, seconds, number, earOf(tell), earOf(hear)),
          );
          if (answer.ok) laid.push(answer.value);
          if (answer.ok && laid.length < count && !isAtBound(answer.value)) return answer;
          this.end();
          resolve(answer.ok ? { ok: true, value: bestOf(laid) } : answer);
          return answer;
        }).then((answer) => answer.ok || resolve(answer));
      }
    });
  }

  private alone<T>(question: (worker: PageWorker<LayFileWork>) => Promise<Result<T>>): Promise<Result<T>> {
    this.end();
    return this.open(question);
  }

  /** Asks a worker of its own; one that breaks off is refused with what it said. */
  private open<T>(question: (worker: PageWorker<LayFileWork>) => Promise<Result<T>>): Promise<Result<T>> {
    const made = pageWorker<LayFileWork>(
      new Worker(new URL('./lay-file.worker.ts', import.meta.url), { type: 'module' }),
    );
    this.workers.push(made);
    return question(made).catch((error: unknown): Result<T> =>
      refuse('broken', '', `the search broke off (${whyBroken(error)})`),
    );
  }
}

import { bestOf, isAtBound, isBetter, type LayPlan } from '@/core/lay';
import type { LayPicture, LayFileAnswer, LayFileQuestion } from './lay-file.worker';

/** No more workers than that, however many cores there are: each takes memory of its own. */
const MOST_WORKERS = 8;

/** What the page hears of a job while it is laid; last of all `onLaid` or `onRefused`, once. */
export interface LayEars {
  /** 0 to 1. */
  onProgress: (done: number) => void;
  /** Told of the best lay so far, whenever it or what is proven of it has become better. */
  onBetter: (plan: LayPlan, drawing: LayPicture[]) => void;
  onLaid: (plan: LayPlan) => void;
  onRefused: (message: string) => void;
}

/** The workers behind the page: those of one question are ended before the next one is asked, and what they would still answer is not heard. */
export class LayFileWorkers {
  private workers: Worker[] = [];

  end() {
    for (const worker of this.workers) worker.terminate();
    this.workers = [];
  }

  /** Reads a job or checks a plan of it. */
  ask(question: LayFileQuestion, hear: (answer: LayFileAnswer) => void) {
    this.end();
    this.open(question, hear);
  }

  /** Lays a job in a worker a core, each searching in its own way, and keeps the best plan of all. */
  lay(job: string, seconds: number, { onProgress, onBetter, onLaid, onRefused }: LayEars) {
    this.end();
    const workers = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency));
    const laid: LayPlan[] = [];
    let best: LayPlan | null = null;
    let drawing: LayPicture[] = [];
    for (let number = 0; number < workers; number++) {
      this.open({ ask: 'lay', job, seconds, number }, (answer) => {
        if (answer.is === 'progress' && number === 0) onProgress(answer.done);
        if (answer.is === 'better') {
          if (!best || isBetter(answer.plan, best)) drawing = answer.drawing;
          // The first worker proves most: its bound holds for the plans of all.
          best = best ? bestOf([best, answer.plan]) : answer.plan;
          onBetter(best, drawing);
        }
        if (answer.is === 'refused') {
          this.end();
          onRefused(answer.message);
        }
        if (answer.is !== 'laid') return;
        laid.push(answer.plan);
        if (laid.length < workers && !isAtBound(answer.plan)) return;
        this.end();
        onLaid(bestOf(laid));
      });
    }
  }

  private open(question: LayFileQuestion, hear: (answer: LayFileAnswer) => void) {
    const worker = new Worker(new URL('./lay-file.worker.ts', import.meta.url), { type: 'module' });
    this.workers.push(worker);
    const isCurrent = () => this.workers.includes(worker);
    worker.onmessage = ({ data }: MessageEvent<LayFileAnswer>) => isCurrent() && hear(data);
    worker.onerror = ({ message }) =>
      isCurrent() && hear({ is: 'refused', message: `the search broke off (${message})` });
    worker.postMessage(question);
  }
}

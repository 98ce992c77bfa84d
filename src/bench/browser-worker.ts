import { nest } from '@/core/lay';
import { workroomJob } from './jobs';

// The lay engine as a page's worker runs it: a first lay at once, then a better one for as long as it may take.

export interface BrowserQuestion {
  pieces: number;
  isMatched: boolean;
  seconds: number;
}

self.onmessage = ({ data: { pieces, isMatched, seconds } }: MessageEvent<BrowserQuestion>) => {
  const job = workroomJob(pieces, isMatched);
  const tell = (plan: ReturnType<typeof nest>) => self.postMessage(plan.ok ? plan.value.used : null);
  tell(nest(job, { steps: 1 }));
  tell(nest(job, { clock: () => performance.now(), seconds }));
};

// Loaded: the page may ask.
self.postMessage(null);

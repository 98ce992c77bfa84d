'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { LayPlan } from '@/core/lay';
import type { HandLay } from '@/core/marker';
import type { Result } from '@/core/result';
import { pageWorker, whyBroken, type PageWorker } from '@/ui/page-worker';
import type { LayAgainWork } from '../components/lay-again.worker';

/** Time limit of laying the rest again. */
const SECONDS = 10;

/** Best lay of the search so far; nothing of it is taken before somebody says so. */
export interface LayingAgain {
  from: HandLay;
  best: LayPlan | null;
  /** 0 to 1. */
  done: number;
  isRunning: boolean;
  problem: string;
}

/** Lays what is not locked again beside the page: started, watched, ended. A worker stands ready, so that the first answer comes at once. */
export function useLayAgain() {
  const worker = useRef<PageWorker<LayAgainWork> | null>(null);
  const run = useRef(0);
  const [laying, setLaying] = useState<LayingAgain | null>(null);
  const open = useCallback(() => {
    worker.current = pageWorker<LayAgainWork>(
      new Worker(new URL('../components/lay-again.worker.ts', import.meta.url), { type: 'module' }),
    );
  }, []);
  useEffect(() => {
    open();
    return () => worker.current?.end();
  }, [open]);

  const end = useCallback(() => {
    run.current++;
    setLaying(null);
    worker.current?.end();
    open();
  }, [open]);

  const start = useCallback(
    async (from: HandLay) => {
      const own = ++run.current;
      const isCurrent = () => own === run.current;
      setLaying({ from, best: null, done: 0, isRunning: true, problem: '' });
      const onBetter = (best: LayPlan) => isCurrent() && setLaying((now) => now && { ...now, best });
      const onProgress = (done: number) => isCurrent() && setLaying((now) => now && { ...now, done });
      try {
        const answer = await worker.current!.ask<Result<LayPlan>>(
          async (work, earOf) =>
            await work.again(from.lockedJob(), from.plan, SECONDS, earOf(onBetter), earOf(onProgress)),
        );
        if (!isCurrent()) return;
        setLaying(
          (now) =>
            now && {
              ...now,
              isRunning: false,
              done: 1,
              ...(answer.ok ? { best: answer.value } : { problem: answer.faults[0]!.message }),
            },
        );
      } catch (error) {
        if (!isCurrent()) return;
        setLaying((now) => now && { ...now, isRunning: false, problem: `The search broke off (${whyBroken(error)}).` });
        // Another one may come through.
        worker.current?.end();
        open();
      }
    },
    [open],
  );

  return { laying, start, end };
}

'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { DayJob, DayPlan, Help, Ready } from '@/core/schedule';
import { pageWorker, whyBroken, type PageWorker } from '@/ui/page-worker';
import type { DaysWork } from './days.worker';

interface Planned {
  plan: DayPlan;
  ready: Ready[];
}

/** The plan of a day job, made away from the page; null until it is there. `problem`: why there is none. */
export function usePlan(job: DayJob) {
  const [found, setFound] = useState<{ of: DayJob; planned: Planned } | null>(null);
  const [problem, setProblem] = useState('');
  const worker = useRef<PageWorker<DaysWork> | null>(null);
  useEffect(() => {
    const own = pageWorker<DaysWork>(new Worker(new URL('./days.worker.ts', import.meta.url)));
    worker.current = own;
    let isHere = true;
    own
      .ask((work) => work.plan(job))
      .then(
        (planned) => isHere && setFound({ of: job, planned }),
        (error: unknown) => isHere && setProblem(whyBroken(error)),
      );
    return () => {
      isHere = false;
      own.end();
      worker.current = null;
    };
  }, [job]);
  const helps = useCallback(
    (orderId: string): Promise<Help[]> =>
      worker.current?.ask((work) => work.helps(job, orderId)) ?? Promise.resolve([]),
    [job],
  );
  return { planned: found?.planned ?? null, isPlanning: found?.of !== job && problem === '', problem, helps };
}

'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { DayJob, DayPlan, Help, Ready, RunFacts, RunLock } from '@/core/schedule';
import { pageWorker, whyBroken, type PageWorker } from '@/ui/page-worker';
import type { DaysWork, Moved } from './days.worker';

interface Planned {
  plan: DayPlan;
  ready: Ready[];
}

/** Rooms in whose workers a question is asked, one after the other, before it is given up. */
const MOST_TRIES = 3;

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
  /** Asks the worker that has the room; where another room has come meanwhile, the worker that has that one. */
  const ask = useCallback(async <T>(question: (own: PageWorker<DaysWork>) => Promise<T>, none: T): Promise<T> => {
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const own = worker.current;
      if (!own) return none;
      try {
        return await question(own);
      } catch (error) {
        if (worker.current === own) throw error;
      }
    }
    return none;
  }, []);
  const helps = useCallback(
    (orderId: string, facts: RunFacts): Promise<Help[]> =>
      ask((own) => own.ask((work) => work.helps(orderId, facts)), []),
    [ask],
  );
  const moved = useCallback(
    (lock: RunLock): Promise<Moved | null> => ask((own) => own.ask((work) => work.moved(lock)), null),
    [ask],
  );
  return { planned: found?.planned ?? null, isPlanning: found?.of !== job && problem === '', problem, helps, moved };
}

'use client';

import { useEffect, useState } from 'react';
import type { RoomToAsk } from '@/features/days/asked';
import { pageWorker } from '@/ui/page-worker';
import type { LateTogetherWork } from './late-together.worker';

interface Asked {
  id: string;
  lineIds: readonly number[];
}

/** Orders that each suggestion would make late, by the suggestion's id: found one after the other, away from the page. */
export function useLateTogether(suggestions: readonly Asked[]): ReadonlyMap<string, string> {
  const [late, setLate] = useState<ReadonlyMap<string, string>>(new Map());
  const ids = suggestions.map(({ id }) => id).join('\n');
  useEffect(() => {
    if (ids === '' || typeof Worker === 'undefined') return;
    const page = pageWorker<LateTogetherWork>(new Worker(new URL('./late-together.worker.ts', import.meta.url)));
    const stop = new AbortController();
    const ask = async () => {
      const answer = await fetch('/api/days/room', { signal: stop.signal });
      if (!answer.ok) return;
      const days = (await answer.json()) as RoomToAsk;
      await page.ask((work) => work.know(days));
      for (const { id, lineIds } of suggestions) {
        const text = await page.ask((work) => work.late([...lineIds]));
        if (stop.signal.aborted) return;
        setLate((before) => new Map(before).set(id, text));
      }
    };
    // Without an answer nothing is said: the suggestion stands as it is.
    ask().catch(() => undefined);
    return () => {
      stop.abort();
      page.end();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the ids say which suggestions they are
  }, [ids]);
  return late;
}

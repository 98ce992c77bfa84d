'use client';

import { useEffect, useState } from 'react';
import type { RoomView } from '../queries';

/** How often (ms) the room is asked for while it is looked at: what others do appears within two seconds. */
const EVERY_MS = 1_500;
/** Longest wait (ms) for one answer, and longest pause where there is no network. */
const PATIENCE_MS = 10_000;

/** The room as it is now: the page's, then what the server says as long as somebody looks. `isStale`: it has not answered lately. */
export function useRoom(initial: RoomView): { view: RoomView; isStale: boolean; look: () => Promise<void> } {
  const [view, setView] = useState(initial);
  const [from, setFrom] = useState(initial);
  const [isStale, setIsStale] = useState(false);
  if (from !== initial) {
    setFrom(initial);
    setView(initial);
  }
  const look = async () => {
    const fresh = await fetchRoom();
    setIsStale(fresh === null);
    if (fresh) setView((before) => (JSON.stringify(before) === JSON.stringify(fresh) ? before : fresh));
  };
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    let isOver = false;
    let pause = EVERY_MS;
    const again = async () => {
      if (document.visibilityState === 'visible') {
        const fresh = await fetchRoom();
        if (isOver) return;
        setIsStale(fresh === null);
        pause = fresh ? EVERY_MS : Math.min(PATIENCE_MS, pause * 2);
        if (fresh) setView((before) => (JSON.stringify(before) === JSON.stringify(fresh) ? before : fresh));
      }
      timer = setTimeout(again, pause);
    };
    timer = setTimeout(again, EVERY_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, []);
  return { view, isStale, look };
}

async function fetchRoom(): Promise<RoomView | null> {
  try {
    const answer = await fetch('/api/room', { signal: AbortSignal.timeout(PATIENCE_MS) });
    return answer.ok ? ((await answer.json()) as RoomView) : null;
  } catch {
    return null;
  }
}

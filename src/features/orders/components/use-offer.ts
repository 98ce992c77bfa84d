'use client';

import { useEffect, useRef, useState } from 'react';
import type { RoomToAsk } from '@/features/days/asked';
import { pageWorker, type PageWorker } from '@/ui/page-worker';
import type { PromiseAnswer, PromiseQuestion, PromiseWork } from '../promise-answer';

/** Typing rests for so many milliseconds before the room is planned with it. */
const REST = 300;
/** The room is asked for anew after so many milliseconds: others change it meanwhile. */
const ROOM_AGE = 120_000;

interface OfferState {
  /** Null until there is one, and where nothing can be said. */
  answer: PromiseAnswer | null;
  days: RoomToAsk | null;
  isAsking: boolean;
  /** The room did not come. */
  isFailed: boolean;
}

/** When an order can be ready, planned away from the page whenever the question is another one; the last answer stays until the next is there. */
export function useOffer(question: PromiseQuestion, orderId: number | null): OfferState {
  const [room, setRoom] = useState<{ days: RoomToAsk; at: number } | null>(null);
  const [state, setState] = useState<{ answer: PromiseAnswer | null; isAsking: boolean; isFailed: boolean }>({
    answer: null,
    isAsking: true,
    isFailed: false,
  });
  const worker = useRef<{ page: PageWorker<PromiseWork>; of: RoomToAsk } | null>(null);

  useEffect(() => {
    let isHere = true;
    const load = async () => {
      const found = await loadRoom(orderId);
      if (!isHere) return;
      if (found) setRoom({ days: found, at: Date.now() });
      else setState((last) => ({ ...last, isAsking: false, isFailed: true }));
    };
    void load();
    const timer = setInterval(() => document.visibilityState === 'visible' && void load(), ROOM_AGE);
    return () => {
      isHere = false;
      clearInterval(timer);
    };
  }, [orderId]);

  useEffect(
    () => () => {
      worker.current?.page.end();
      worker.current = null;
    },
    [],
  );

  useEffect(() => {
    if (!room) return;
    let isHere = true;
    const timer = setTimeout(async () => {
      setState((last) => ({ ...last, isAsking: true }));
      if (worker.current?.of !== room.days) {
        worker.current?.page.end();
        const page = pageWorker<PromiseWork>(new Worker(new URL('./promise.worker.ts', import.meta.url)));
        worker.current = { page, of: room.days };
        page.ask((work) => work.know(room.days)).catch(() => undefined);
      }
      const answer = await worker.current.page.ask((work) => work.ask(question)).catch(() => undefined);
      if (isHere) setState({ answer: answer ?? null, isAsking: false, isFailed: answer === undefined });
    }, REST);
    return () => {
      isHere = false;
      clearTimeout(timer);
    };
  }, [room, question]);
  return { ...state, days: room?.days ?? null };
}

async function loadRoom(orderId: number | null): Promise<RoomToAsk | null> {
  const answer = await fetch(`/api/days/room${orderId === null ? '' : `?without=${orderId}`}`).catch(() => null);
  return answer?.ok ? ((await answer.json()) as RoomToAsk) : null;
}

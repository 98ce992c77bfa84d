'use client';

import { useRef, useState } from 'react';
import type { RunLock } from '@/core/schedule';
import { lateText } from '../late-text';
import type { DaysView } from '../load-days';
import type { Moved } from './days.worker';

interface Held {
  run: string;
  personId: number;
  day: number;
}

/** Says what putting a held run down would do to the promises. */
export function useOver(moved: (lock: RunLock) => Promise<Moved | null>, view: DaysView, today: number) {
  const [text, setText] = useState('');
  const asked = useRef(0);
  const hold = (held: Held | null) => {
    const nth = ++asked.current;
    if (!held) return setText('');
    setText('Looking what that does…');
    // Whatever hands put there, cloth and notions that are not there yet hold it as before.
    const waits = view.runs.find(({ id }) => id === held.run)?.waits?.at ?? 0;
    const notBefore = Math.max(waits, held.day > today ? held.day : 0) || null;
    moved({ runId: held.run, personId: held.personId, notBefore })
      // Only the last place that it was held over counts.
      .then((found) => nth === asked.current && setText(found ? movedText(found, view) : ''))
      .catch(() => nth === asked.current && setText(''));
  };
  return { text, hold };
}

function movedText({ later, sooner }: Moved, view: DaysView): string {
  const no = (orderId: string) => view.orders.find(({ id }) => String(id) === orderId)?.no ?? '?';
  const parts = [
    ...(later.length > 0
      ? [`late by it: ${later.map(({ orderId, late }) => `${no(orderId)} by ${lateText(late)}`).join(', ')}`]
      : []),
    ...(sooner.length > 0 ? [`less late: ${sooner.map(no).join(', ')}`] : []),
  ];
  return parts.length === 0 ? 'Put there, no promise changes.' : `Put there, ${parts.join('; ')}.`;
}

'use client';

import { get, set } from 'idb-keyval';
import { useCallback, useEffect, useRef, useState } from 'react';
import { newId } from '@/features/commands/send';
import type { Answer } from '@/features/commands/answer';
import {
  afterSending,
  laterOf,
  refreshed,
  ticked,
  toSend,
  troubled,
  unticked,
  type CutEntry,
  type DeviceSheet,
  type SendOutcome,
  type SheetState,
  type Trouble,
} from '../ticks';

/** What the device keeps of a sheet: how it stood when the network was there, and what nobody else knows yet. */
type Kept = Omit<DeviceSheet, 'conflicts'>;

/** While the page is seen the server is asked so often how the sheet stands, and what waits is sent. */
const LOOK_EVERY_MS = 4_000;
const ANSWER_WITHIN_MS = 8_000;

export type Network = 'there' | 'away';

/**
 * The sheet of a lay on this device. What is done is kept here at once (IndexedDB) and sent when the network is there; it survives a
 * reload and a switched-off device. Nothing is sent twice to any effect: a request that was not answered goes again as it was.
 */
export function useCutSheet(batchId: number, clothId: number, initial: SheetState) {
  const [sheet, setSheet] = useState<DeviceSheet>({ state: initial, waiting: [], sending: null, conflicts: [] });
  const [network, setNetwork] = useState<Network>('there');
  const [isLoaded, setIsLoaded] = useState(false);
  const now = useRef(sheet);
  const isBusy = useRef(false);
  const key = `cutting-sheet ${batchId}/${clothId}`;
  const url = `/api/batches/${batchId}/cutting/${clothId}`;

  const change = useCallback(
    (next: DeviceSheet) => {
      now.current = next;
      setSheet(next);
      const kept: Kept = { state: next.state, waiting: next.waiting, sending: next.sending };
      // Where the device refuses to keep anything (a private window), the page itself still does.
      void set(key, kept).catch(() => undefined);
    },
    [key],
  );

  useEffect(() => {
    let isHere = true;
    void get<Kept>(key)
      .catch(() => undefined)
      .then((kept) => {
        if (!isHere) return;
        const before = now.current;
        if (kept?.state) {
          const isSame = kept.state.layVersion === before.state.layVersion;
          change({
            state: laterOf(kept.state, before.state),
            waiting: isSame ? [...kept.waiting, ...before.waiting] : before.waiting,
            sending: isSame ? kept.sending : null,
            conflicts: isSame ? before.conflicts : [...before.conflicts, ...kept.waiting.map(ofEarlierLay)],
          });
        }
        setIsLoaded(true);
      });
    return () => {
      isHere = false;
    };
  }, [key, change]);

  const look = useCallback(async () => {
    if (isBusy.current) return;
    isBusy.current = true;
    try {
      if (now.current.waiting.length > 0) {
        const { sheet: sending, entries } = toSend(now.current, newId());
        change(sending);
        const answer = await asked<Answer<SendOutcome>>(url, { request: sending.sending!.request, layVersion: sending.state.layVersion, entries }); // prettier-ignore
        if (answer?.ok) change(afterSending(now.current, answer.value));
        else if (answer) {
          // The server can't take it as it is: it is said, and does not stand in the way of what comes after.
          const message = answer.faults[0]!.message;
          change(afterSending(now.current, { dealtWith: entries.map(({ entry }) => entry), conflicts: entries.map(({ entry, step }) => ({ entry, step, message })), state: now.current.state })); // prettier-ignore
        }
        setNetwork(answer ? 'there' : 'away');
        if (!answer) return;
      }
      const state = await asked<SheetState>(url);
      setNetwork(state ? 'there' : 'away');
      if (state) change(refreshed(now.current, state));
    } finally {
      isBusy.current = false;
    }
  }, [url, change]);

  useEffect(() => {
    if (!isLoaded) return;
    void look();
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void look();
    }, LOOK_EVERY_MS);
    const onOnline = () => void look();
    window.addEventListener('online', onOnline);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', onOnline);
    };
  }, [isLoaded, look]);

  const at = () => new Date().toISOString();
  return {
    sheet,
    network,
    isLoaded,
    tick: (step: number) => {
      change(ticked(now.current, step, newId(), at()));
      void look();
    },
    untick: (step: number) => {
      change(unticked(now.current, step, newId(), at()));
      void look();
    },
    report: (step: number, trouble: Trouble) => {
      change(troubled(now.current, step, trouble, newId(), at()));
      void look();
    },
    forgetConflicts: () => change({ ...now.current, conflicts: [] }),
    look,
  };
}

const ofEarlierLay = ({ entry, step, ...one }: CutEntry): DeviceSheet['conflicts'][number] => ({
  entry,
  step,
  message: `This cloth was laid again since; of the earlier lay ${one.do === 'trouble' ? `“${one.why || one.sort}” at step ${step}` : `the tick of step ${step}`} was not sent.`,
});

/** What the server answers, or null where it can't be reached or is in trouble itself. */
async function asked<T>(url: string, body?: unknown): Promise<T | null> {
  try {
    const response = await fetch(url, {
      ...(body !== undefined && { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    }); // prettier-ignore
    return response.ok || response.status === 422 ? ((await response.json()) as T) : null;
  } catch {
    return null;
  }
}

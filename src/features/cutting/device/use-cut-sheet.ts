'use client';

import { get, set } from 'idb-keyval';
import { useCallback, useEffect, useRef, useState } from 'react';
import { newId } from '@/features/commands/send';
import type { Answer } from '@/features/commands/answer';
import {
  afterSending,
  closedFor,
  freshSheet,
  refreshed,
  ticked,
  toSend,
  troubled,
  unticked,
  withKept,
  type CutEntry,
  type DeviceSheet,
  type SendOutcome,
  type SheetState,
  type Trouble,
} from '../ticks';

/** While the page is seen the server is asked so often how the sheet stands, and what waits is sent. */
const LOOK_EVERY_MS = 4_000;
const ANSWER_WITHIN_MS = 8_000;

export type Network = 'there' | 'away';

/**
 * The sheet of a lay on this device. What is done is kept here at once (IndexedDB) and sent when the network is there; it survives a
 * reload and a switched-off device. Nothing is sent twice to any effect: a request that was not answered goes again as it was.
 */
// eslint-disable-next-line max-lines-per-function -- one state with what keeps and sends it
export function useCutSheet(batchId: number, clothId: number, initial: SheetState) {
  const [sheet, setSheet] = useState<DeviceSheet>(() => freshSheet(initial));
  /** The page is older than what the device keeps: nothing of that is touched. */
  const [isStale, setIsStale] = useState(false);
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
      // Where the device refuses to keep anything (a private window), the page itself still does.
      void set(key, next).catch(() => undefined);
    },
    [key],
  );

  useEffect(() => {
    let isHere = true;
    void get<DeviceSheet>(key)
      .catch(() => undefined)
      .then((kept) => {
        if (!isHere) return;
        const joined = kept?.state ? withKept(now.current, kept) : now.current;
        if (!joined) return setIsStale(true);
        if (kept) change(joined);
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
      // Waiting entries go in the order in which they were made, a request at a time, as long as each answer deals with something.
      for (let dealt = 1; now.current.waiting.length > 0 && dealt > 0;) {
        const { sheet: sending, entries } = toSend(now.current, newId());
        change(sending);
        const answer = await asked<Answer<SendOutcome>>(url, {
          request: sending.sending!.request,
          layVersion: sending.layVersion,
          entries,
        });
        setNetwork(answer ? 'there' : 'away');
        if (!answer) return;
        const outcome = answer.ok
          ? answer.value
          : refusedOutcome(entries, answer.faults[0]!.message, now.current.state);
        dealt = outcome.dealtWith.length;
        change(afterSending(now.current, outcome));
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
    closed: isStale ? 'This page is of an earlier lay; open it again when the network is there.' : closedFor(sheet),
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

/** The server can't take it as it is: it is said, and does not stand in the way of what comes after. */
const refusedOutcome = (entries: readonly CutEntry[], message: string, state: SheetState): SendOutcome => ({
  dealtWith: entries.map(({ entry }) => entry),
  conflicts: entries.map(({ entry, step }) => ({ entry, step, message })),
  state,
});

/** The server's answer, or null where it can't be reached or is in trouble itself. */
async function asked<T>(url: string, body?: unknown): Promise<T | null> {
  try {
    const response = await fetch(url, {
      ...(body !== undefined && {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      }),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    });
    return response.ok || response.status === 422 ? ((await response.json()) as T) : null;
  } catch {
    return null;
  }
}

'use client';

import { get, set } from 'idb-keyval';
import { useCallback, useEffect, useRef, useState } from 'react';
import {
  afterSending,
  freshSheet,
  refreshed,
  toSend,
  withKept,
  type KeptEntry,
  type KeptSheet,
  type KeptState,
  type Outcome,
} from './kept-sheet';

/** While the page is seen the server is asked so often how the sheet stands, and what waits is sent. */
const LOOK_EVERY_MS = 4_000;
const ANSWER_WITHIN_MS = 8_000;

export type Network = 'there' | 'away';

interface Where<S extends KeptState, E extends KeptEntry> {
  /** The name under which the device keeps it. */
  key: string;
  /** The address that says how it stands (GET) and takes entries (POST `{ request, version, entries }`). */
  url: string;
  initial: S;
  newId: () => string;
  /** Sentence about an entry of an earlier version. */
  sayLost: (entry: E) => string;
}

type Answer<T> = { ok: true; value: T } | { ok: false; faults: { message: string }[] };

/**
 * A sheet on this device. What is done is kept here at once (IndexedDB) and sent when the network is there; it survives a reload and a
 * switched-off device. Nothing is sent twice to any effect: a request that was not answered goes again as it was.
 */
// eslint-disable-next-line max-lines-per-function -- one state with what keeps and sends it
export function useKeptSheet<S extends KeptState, E extends KeptEntry>({
  key,
  url,
  initial,
  newId,
  sayLost,
}: Where<S, E>) {
  const [sheet, setSheet] = useState<KeptSheet<S, E>>(() => freshSheet(initial));
  /** The page is older than what the device keeps: nothing of that is touched. */
  const [isStale, setIsStale] = useState(false);
  const [network, setNetwork] = useState<Network>('there');
  const [isLoaded, setIsLoaded] = useState(false);
  const now = useRef(sheet);
  const isBusy = useRef(false);
  const lost = useRef(sayLost);

  const change = useCallback(
    (next: KeptSheet<S, E>) => {
      now.current = next;
      setSheet(next);
      // Where the device refuses to keep anything (a private window), the page itself still does.
      void set(key, next).catch(() => undefined);
    },
    [key],
  );

  useEffect(() => {
    let isHere = true;
    void get<KeptSheet<S, E>>(key)
      .catch(() => undefined)
      .then((kept) => {
        if (!isHere) return;
        const joined = kept?.state ? withKept(now.current, ofThisForm(kept), lost.current) : now.current;
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
        const answer = await asked<Answer<Outcome<S>>>(url, {
          request: sending.sending!.request,
          version: sending.version,
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
      const state = await asked<S>(url);
      setNetwork(state ? 'there' : 'away');
      if (state) change(refreshed(now.current, state));
    } finally {
      isBusy.current = false;
    }
  }, [url, change, newId]);

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

  const alter = useCallback(
    (next: (sheet: KeptSheet<S, E>) => KeptSheet<S, E>) => {
      change(next(now.current));
      void look();
    },
    [change, look],
  );
  return {
    sheet,
    network,
    isLoaded,
    isStale,
    /** Changes what is kept, and sends it. */
    alter,
    forgetConflicts: () => change({ ...now.current, conflicts: [] }),
    look,
  };
}

/** A sheet that an earlier program kept calls its version by what it was of then. */
function ofThisForm<S extends KeptState, E extends KeptEntry>(kept: KeptSheet<S, E>): KeptSheet<S, E> {
  const { layVersion } = kept as { layVersion?: number };
  if (layVersion === undefined || kept.version !== undefined) return kept;
  return { ...kept, version: layVersion, state: { ...kept.state, version: layVersion } };
}

/** The server can't take it as it is: it is said, and does not stand in the way of what comes after. */
const refusedOutcome = <S extends KeptState>(entries: readonly KeptEntry[], message: string, state: S): Outcome<S> => ({
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

'use client';

import { useCallback, useRef, useState } from 'react';
import type { BatchLine, BatchLines } from '../queries';

/** The lines that a page was sent, and those of a cloth that are sent for when somebody wants to see or tick them all. */
export function useLines({ lines: sent, cloths }: BatchLines, batchId: number | null) {
  const [more, setMore] = useState<BatchLine[]>([]);
  const loaded = useRef(new Map<number, BatchLine[]>());
  const known = new Set(sent.map(({ id }) => id));
  const lines = [...sent, ...more.filter(({ id }) => !known.has(id))];
  const loadCloth = useCallback(
    async (clothId: number): Promise<BatchLine[]> => {
      const own = sent.filter(({ clothIds }) => clothIds[0] === clothId);
      if (own.length >= (cloths.find(({ id }) => id === clothId)?.lines ?? 0)) return own;
      const before = loaded.current.get(clothId);
      if (before) return before;
      const response = await fetch(
        `/api/batches/waiting?cloth=${clothId}${batchId === null ? '' : `&batch=${batchId}`}`,
      ).catch(() => null);
      if (!response?.ok) return own;
      const all = (await response.json()) as BatchLine[];
      loaded.current.set(clothId, all);
      setMore((old) => [...old, ...all]);
      return all;
    },
    [sent, cloths, batchId],
  );
  return { lines, loadCloth };
}

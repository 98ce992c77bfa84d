import { useEffect, useState } from 'react';
import { newId } from '@/features/commands/send';

const SAY_EVERY_MS = 6_000;

/** Says every few seconds that this page is open, and learns who else has it open and which version is saved. */
export function useVisits(batchId: number, clothId: number): { others: string[]; version: number | null } {
  const [heard, setHeard] = useState<{ others: string[]; version: number | null }>({ others: [], version: null });
  useEffect(() => {
    const page = newId();
    let isOpen = true;
    const say = async () => {
      try {
        const response = await fetch(`/api/batches/${batchId}/lays/${clothId}/visit`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ page }),
        });
        if (isOpen && response.ok) setHeard((await response.json()) as { others: string[]; version: number });
      } catch {
        // The next time, perhaps.
      }
    };
    void say();
    const timer = setInterval(() => void say(), SAY_EVERY_MS);
    return () => {
      isOpen = false;
      clearInterval(timer);
    };
  }, [batchId, clothId]);
  return heard;
}

import { expose } from 'comlink';
import { vi } from 'vitest';

// For tests in a simulated page, which has no workers.

/** Workers that do this within the page's own process for the rest of a test. Returns how many of them were ended. */
export function nearWorkers(work: object): { ended: number } {
  const counts = { ended: 0 };
  function NearWorker() {
    const { port1, port2 } = new MessageChannel();
    expose(work, port1 as never);
    const terminate = () => {
      counts.ended++;
      port1.close();
    };
    return Object.assign(port2, { terminate });
  }
  vi.stubGlobal('Worker', NearWorker);
  return counts;
}

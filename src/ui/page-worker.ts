import { proxy, releaseProxy, wrap, type ProxyMarked, type Remote } from 'comlink';

/** Makes an ear of a function, for a worker to tell things along the way. */
type HandlerOf = <Args extends unknown[]>(handle: (...args: Args) => void) => ((...args: Args) => void) & ProxyMarked;

/** A worker behind a page: what it is asked, and its end, after which it answers nothing more. */
export interface PageWorker<Work> {
  /**
   * Asks it something; rejects when it breaks off, can't be loaded, or is ended. What it tells and what it answers come by ways of their own, so that
   * the last thing told may arrive after the answer: from then on nothing is heard.
   */
  ask: <Answer>(question: (work: Remote<Work>, handlerOf: HandlerOf) => Promise<Answer>) => Promise<Answer>;
  end: () => void;
}

export function pageWorker<Work>(worker: Worker): PageWorker<Work> {
  const work = wrap<Work>(worker);
  let fail: (error: Error) => void;
  const failed = new Promise<never>((_, reject) => {
    fail = reject;
    worker.onerror = ({ message }) => reject(new Error(message || 'its program did not come'));
  });
  // Heard by those who ask; it may fail before anybody does.
  failed.catch(() => undefined);
  return {
    ask: async (question) => {
      let isOver = false;
      const handlerOf: HandlerOf = (handle) =>
        proxy((...args) => {
          if (!isOver) handle(...args);
        });
      try {
        return await Promise.race([question(work, handlerOf), failed]);
      } finally {
        isOver = true;
      }
    },
    end: () => {
      work[releaseProxy]();
      worker.terminate();
      // Whoever still waits for an answer gets none any more.
      fail(new Error('it was ended'));
    },
  };
}

/** Why a worker gave no answer, as it is put into a sentence. */
export const whyBroken = (error: unknown) => (error instanceof Error ? error.message : String(error));

import { proxy, releaseProxy, wrap, type ProxyMarked, type Remote } from 'comlink';

/** A worker behind a page: what it exposes, and its end, after which it answers nothing more. */
export interface PageWorker<Work> {
  work: Remote<Work>;
  end: () => void;
}

/** `onFailed` hears of a worker that can't be loaded, or broke off outside of a question. */
export function pageWorker<Work>(worker: Worker, onFailed?: (message: string) => void): PageWorker<Work> {
  const work = wrap<Work>(worker);
  if (onFailed) worker.onerror = ({ message }) => onFailed(message);
  return {
    work,
    end: () => {
      work[releaseProxy]();
      worker.terminate();
    },
  };
}

/** Makes an ear of a function, for a worker to tell things along the way. */
type EarOf = <Told extends unknown[]>(hear: (...told: Told) => void) => ((...told: Told) => void) & ProxyMarked;

/**
 * Asks a worker that tells how far it is. What it tells and what it answers come by ways of their own, so that the last
 * thing told may arrive after the answer: from then on nothing is heard.
 */
export async function askTold<Answer>(ask: (earOf: EarOf) => Promise<Answer>): Promise<Answer> {
  let isOver = false;
  try {
    return await ask((hear) =>
      proxy((...told) => {
        if (!isOver) hear(...told);
      }),
    );
  } finally {
    isOver = true;
  }
}

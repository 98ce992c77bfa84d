import { releaseProxy, wrap, type Remote } from 'comlink';

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

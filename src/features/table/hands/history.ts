import type { HandLay } from '@/core/marker';

/** A lay, and what was done to get there, in words. */
export interface Step {
  lay: HandLay;
  said: string;
}

/** History of the hands' acts since the lay was opened: nothing is forgotten until it is saved or left. */
interface History {
  past: readonly Step[];
  now: Step;
  future: readonly Step[];
}

type HistoryAction = { is: 'change'; lay: HandLay; said: string } | { is: 'undo' } | { is: 'redo' };

export const startOf = (lay: HandLay): History => ({ past: [], now: { lay, said: '' }, future: [] });

export function historyReducer(history: History, action: HistoryAction): History {
  const { past, now, future } = history;
  if (action.is === 'change') return { past: [...past, now], now: { lay: action.lay, said: action.said }, future: [] };
  if (action.is === 'undo') {
    const before = past.at(-1);
    return before ? { past: past.slice(0, -1), now: before, future: [now, ...future] } : history;
  }
  const [next, ...rest] = future;
  return next ? { past: [...past, now], now: next, future: rest } : history;
}

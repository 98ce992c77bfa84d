import type { CoverState, Hold } from './cover-states';

/** Covers of one line that stand together: the same state, place, hold and person. */
export interface CoverGroup {
  lineId: number;
  state: CoverState;
  hold: Hold | null;
  /** Whoever has them in hand; null: nobody. */
  personId: number | null;
  count: number;
  /** The day of promise, like 2026-12-15. */
  due: string;
  orderNo: number;
}

/** The next work of somebody, with the reason for it. */
export interface NextWork<G extends CoverGroup> {
  group: G;
  reason: string;
}

/** States in which a cover waits for hands, the nearest to the door first: what is begun is finished before something new is. */
const NEAREST_FIRST: readonly CoverState[] = ['packed', 'checked', 'to check', 'to mend', 'in sewing', 'cut', 'to cut'];

/**
 * Finds the next work for the person at a device: their own work in hand; else what is late; else what is due first, and of equal days
 * what is nearest to the door. Held covers wait. Null: there is nothing to do.
 */
export function nextForPerson<G extends CoverGroup>(
  groups: readonly G[],
  personId: number | null,
  today: string,
): NextWork<G> | null {
  const open = groups.filter(({ hold, state }) => hold === null && state !== 'handed over');
  const sorted = [...open].sort(
    (a, b) =>
      a.due.localeCompare(b.due) ||
      NEAREST_FIRST.indexOf(a.state) - NEAREST_FIRST.indexOf(b.state) ||
      a.orderNo - b.orderNo ||
      a.lineId - b.lineId,
  );
  const own = personId === null ? undefined : sorted.find((one) => one.personId === personId && isInHand(one.state));
  if (own) return { group: own, reason: 'you have it in hand' };
  const free = sorted.filter((one) => !isInHand(one.state) || one.personId === null);
  const [first] = free;
  if (!first) return null;
  if (first.due < today) return { group: first, reason: 'it is late' };
  const isAlone = free.every((one) => one === first || one.due > first.due);
  if (first.due === today) return { group: first, reason: 'it is due today' };
  return { group: first, reason: isAlone ? 'it is due first' : 'of those due first it is nearest to the door' };
}

const isInHand = (state: CoverState) => state === 'in sewing' || state === 'to mend';

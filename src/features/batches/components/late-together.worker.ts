import { expose } from 'comlink';
import { lateByTogether, planRoom } from '@/core/schedule';
import type { RoomToAsk } from '@/features/days/asked';
import { lateText } from '@/features/days/late-text';

/** Effort of each plan: a few hundredths of a second. */
const EFFORT = 0.03;

let room: { days: RoomToAsk; planned: ReturnType<typeof planRoom> } | null = null;

const work = {
  /** Takes the room in, with its plan as it is. */
  know: (days: RoomToAsk): void => {
    room = { days, planned: planRoom(days.job, EFFORT) };
  },
  /** Orders that become late when these lines are cut together, as one text; empty where none does. */
  late: (lineIds: number[]): string => {
    if (!room) return '';
    const { days, planned } = room;
    return lateByTogether(planned, lineIds, { sharePercent: days.sharePercent, effort: EFFORT })
      .map(
        ({ orderId, late }) =>
          `${days.orders.find(({ id }) => String(id) === orderId)?.no ?? '?'} by ${lateText(late)}`,
      )
      .join(', ');
  },
};

export type LateTogetherWork = typeof work;

expose(work);

import { kindBook } from '@/core/covers';
import type { OrderUnits } from '@/core/length';
import {
  endOfDay,
  learnMinutes,
  offerFor,
  planRoom,
  waitsOfLines,
  type Estimate,
  type NotBefore,
  type Offer,
} from '@/core/schedule';
import type { RoomToAsk } from '@/features/days/asked';
import { askedLines } from './asked-lines';
import type { LineForm } from './form';
import { materialsOf } from './needs';
import type { OrderProviderProps } from './components/order-context';

// Answers when an order can be ready, by a plan of the whole room with it; the browser's worker and tests ask it.

export interface PromiseQuestion {
  due: string;
  /** The order as it is typed; null: as it is stored. */
  typed: {
    lines: LineForm[];
    units: OrderUnits;
    room: Pick<OrderProviderProps, 'cloths' | 'own' | 'withdrawn'>;
  } | null;
}

/** A sewing estimate with the line that it is for. */
export interface LineEstimate {
  lineId: number;
  estimate: Estimate;
}

export interface PromiseAnswer {
  offer: Offer;
  leftOut: number;
  /** Times before which runs are not begun, with the reason, by the run's id. */
  waits: Map<string, NotBefore>;
  estimates: LineEstimate[];
}

/** Effort of each plan: about a tenth of a second. */
const EFFORT = 0.05;

type KnownRoom = { days: RoomToAsk; learned: ReturnType<typeof learnMinutes>; planned: ReturnType<typeof planRoom> };
let known: KnownRoom | null = null;

const roomOf = ({ own, withdrawn, cloths }: NonNullable<PromiseQuestion['typed']>['room']) => ({
  kinds: kindBook(own, withdrawn),
  cloths: new Map(cloths.map(({ id, cloth }) => [id, cloth])),
  materials: materialsOf(cloths),
});

export const promiseWork = {
  /** Takes the room in, with what was learned and its plan without the order. */
  know: (days: RoomToAsk): void => {
    known = { days, learned: learnMinutes(days.log), planned: planRoom(days.job, EFFORT) };
  },
  /** Null where nothing can be said yet: no room, no day, or no line that can be made. */
  ask: ({ due: day, typed }: PromiseQuestion): PromiseAnswer | null => {
    const due = endOfDay(day);
    if (!known || due === null) return null;
    const { days, learned, planned } = known;
    const asked = typed
      ? askedLines(typed.lines, { units: typed.units, due }, roomOf(typed.room), days, learned)
      : { lines: days.asked, leftOut: 0, waits: waitsOfLines(days.asked) };
    if (asked.lines.length === 0) return null;
    const offer = offerFor(planned, asked.lines, { due, sharePercent: days.sharePercent, effort: EFFORT });
    return {
      offer,
      leftOut: asked.leftOut,
      waits: asked.waits,
      estimates: asked.lines.map(({ lineId, sewing }) => ({ lineId, estimate: sewing })),
    };
  },
};

export type PromiseWork = typeof promiseWork;

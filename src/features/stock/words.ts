import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { ItemSort, ItemState, MovementSort } from '@/core/stock';

export const SORT_LABELS: Record<ItemSort, string> = {
  bolt: 'Bolts',
  remnant: 'Remnants',
  sheets: 'Sheets',
  notion: 'Notions',
};

export const STATE_LABELS: Record<ItemState, string> = { whole: 'whole', opened: 'opened', ended: 'used up' };

export const MOVEMENT_LABELS: Record<MovementSort, string> = {
  received: 'Received',
  reserved: 'Reserved',
  released: 'Released',
  cut: 'Cut into pieces',
  wasted: 'Wasted',
  kept: 'Remnant kept',
  used: 'Used',
  counted: 'Counted',
  moved: 'Moved',
};

export const CAUSE_LABELS: Record<string, string> = {
  offcut: 'offcut',
  selvage: 'selvage',
  pattern: 'for the pattern',
  flaw: 'flaw',
  end: 'crooked end',
  miscut: 'miscut',
  recut: 'cut again',
  'let go': 'let go',
};

/** Remnants that nobody used in a year are let go (common practice, no source). */
const OLD_DAYS = 365;

/** How long something has been on the shelf, in words, and whether that is long. */
export function ageOf(receivedAt: string, today: Date): { text: string; isOld: boolean } {
  const days = Math.max(0, differenceInCalendarDays(today, parseISO(receivedAt)));
  const text =
    days === 0
      ? 'today'
      : days < 14
        ? `${days} ${days === 1 ? 'day' : 'days'}`
        : days < 60
          ? `${Math.round(days / 7)} weeks`
          : `${Math.round(days / 30.4)} months`;
  return { text, isOld: days >= OLD_DAYS };
}

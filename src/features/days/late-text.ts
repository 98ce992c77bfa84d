import { DAY_MIN } from '@/core/schedule';

/** Lateness in words: hours of the clock up to a day, whole days from there on. */
export const lateText = (minutes: number): string => {
  if (minutes < DAY_MIN) return `${Math.max(1, Math.round(minutes / 60))} h`;
  const days = Math.round(minutes / DAY_MIN);
  return days === 1 ? '1 day' : `${days} days`;
};

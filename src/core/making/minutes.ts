/** Time on a clock that is not counted unless a person notes it. */
interface ClockQuestion {
  why: 'long gap' | 'over night';
  /** The minutes that would be counted if nobody asked. */
  minutes: number;
}

const MINUTE_MS = 60_000;

/**
 * Minutes of a clock by the entries that kept it honest: its beginning, every tick, its end. A gap of more than `longestGap` minutes between
 * two of them is not counted but asked about, and so is a clock that went over night (`dayOf` names the day of a moment). Rounded to whole
 * minutes once, at the end.
 */
export function minutesOf(
  marks: readonly number[],
  longestGap: number,
  dayOf: (at: number) => string,
): { minutes: number; questions: ClockQuestion[] } {
  const sorted = [...marks].sort((a, b) => a - b);
  let counted = 0;
  const questions: ClockQuestion[] = [];
  for (let i = 1; i < sorted.length; i++) {
    const gap = sorted[i]! - sorted[i - 1]!;
    const isOverNight = dayOf(sorted[i]!) !== dayOf(sorted[i - 1]!);
    if (!isOverNight && gap <= longestGap * MINUTE_MS) counted += gap;
    else questions.push({ why: isOverNight ? 'over night' : 'long gap', minutes: Math.round(gap / MINUTE_MS) });
  }
  return { minutes: Math.round(counted / MINUTE_MS), questions };
}

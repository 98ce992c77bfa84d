/** A stretch of work of one person on a run, as a clock or a hand noted it (ms since 1970). */
export interface Stretch {
  personId: number | null;
  began: number;
  /** Null: the clock is still going. */
  ended: number | null;
}

/** Something about a clock that a person has to say a word to before it is believed. */
export interface ClockQuestion {
  why: 'long gap' | 'over night' | 'two clocks';
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

/** Stretches of one person that lie over each other: nobody sews two runs at once. */
export function overlapping<S extends Stretch>(stretches: readonly S[], now: number): [S, S][] {
  const pairs: [S, S][] = [];
  for (const [i, one] of stretches.entries())
    for (const other of stretches.slice(i + 1))
      if (
        one.personId !== null &&
        one.personId === other.personId &&
        one.began < (other.ended ?? now) &&
        other.began < (one.ended ?? now)
      )
        pairs.push([one, other]);
  return pairs;
}

/** Whole minutes shared over the covers of a run: equal, the first ones a minute more, so that they sum to what was taken. */
export function sharedMinutes(minutes: number, covers: number): number[] {
  const each = Math.floor(minutes / covers);
  const rest = minutes - each * covers;
  return Array.from({ length: covers }, (_, i) => each + (i < rest ? 1 : 0));
}

const LONG_DAY = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' });

/** A day like 2027-03-05 in words: 5 March 2027. */
export const dayText = (day: string): string => LONG_DAY.format(new Date(`${day}T12:00:00Z`));

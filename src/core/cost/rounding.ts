// The one rule by which money is rounded: half up to the minor unit, from exact whole numbers.

/** A fraction of whole numbers (numerator 0 or more, denominator more than 0), rounded half up. */
export const roundHalfUp = (numerator: bigint, denominator: bigint): number =>
  Number((2n * numerator + denominator) / (2n * denominator));

/** A part as a whole number of millionths: percentages with up to four decimals are exact. */
const MILLION = 1_000_000n;

/** A part (0.35 is 35 %) of an amount in whole minor units, rounded half up: 35 % of 90 is 31.5, so 32. */
export const partOf = (amount: number, part: number): number =>
  roundHalfUp(BigInt(amount) * BigInt(Math.round(part * Number(MILLION))), MILLION);

/** The cost of minutes of work at a rate for the hour in whole minor units, rounded half up; minutes count to a thousandth. */
export const labourOf = (minutes: number, hourMinor: number): number =>
  roundHalfUp(BigInt(Math.round(minutes * 1000)) * BigInt(hourMinor), 60_000n);

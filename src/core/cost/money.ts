// Money is whole minor units of a currency: cents of a euro, yen of a yen (ISO 4217, as the platform's Intl knows it).

/** How many decimals a currency has: 2 for GBP, 0 for JPY, 3 for KWD. The code must be three letters, or it throws a RangeError. */
export const exponentOf = (currency: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;

/** An amount for people, like £24.50 or JP¥1,200. */
export const printMoney = (minor: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 10 ** exponentOf(currency));

/** An amount as it is typed into a field: 24.50 of a currency with cents, 1200 of yen. */
export const writeAmount = (minor: number, currency: string): string =>
  (minor / 10 ** exponentOf(currency)).toFixed(exponentOf(currency));

/** A typed amount (24.50 or 24,5) as minor units, or null where it is none or has more decimals than the currency. */
export function parseAmount(text: string, currency: string): number | null {
  const found = /^(\d{1,9})(?:[.,](\d+))?$/.exec(text.trim());
  const exponent = exponentOf(currency);
  const decimals = found?.[2] ?? '';
  if (!found || decimals.length > exponent) return null;
  return Number(`${found[1]}${decimals.padEnd(exponent, '0')}`);
}

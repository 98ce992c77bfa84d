// Money is whole minor units of a currency: cents of a euro, yen of a yen (ISO 4217, as the platform's Intl knows it).

const exponents = new Map<string, number>();

/** How many decimals a currency has: 2 for GBP, 0 for JPY, 3 for KWD. The code must be three letters, or it throws a RangeError. */
export function exponentOf(currency: string): number {
  const known = exponents.get(currency);
  if (known !== undefined) return known;
  const { maximumFractionDigits } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions();
  exponents.set(currency, maximumFractionDigits ?? 2);
  return maximumFractionDigits ?? 2;
}

/** The codes of all currencies that the platform knows (ISO 4217), by the alphabet. */
export const currencies = (): readonly string[] => Intl.supportedValuesOf('currency');

/** Tells whether a text is the code of a currency that the platform knows. */
export const isCurrency = (code: string): boolean => /^[A-Z]{3}$/.test(code) && currencies().includes(code);

/** A currency as a choice shows it: `GBP, British Pound`. */
export const currencyLabel = (currency: string): string =>
  `${currency}, ${new Intl.DisplayNames('en', { type: 'currency' }).of(currency) ?? currency}`;

/** Minor units as a number of the currency's own unit, for a chart or a spreadsheet: 2450 of GBP is 24.5, of JPY 2450. */
export const toMajor = (minor: number, currency: string): number => Number(writeAmount(minor, currency));

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

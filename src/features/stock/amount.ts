import { parseLength, printNumber, STYLES, type Units, typingUnit } from '@/core/length';
import { longLength } from '@/ui/words';

/** How a quantity of an item is said: of what is counted by its length a length, else a number. */
export interface Counted {
  isLength: boolean;
  units: Units;
}

/** `3 yd 4 1/2 in`, `12`; with a sign where it is negative. */
export function amountText(quantity: number, { isLength, units }: Counted): string {
  const amount = Math.abs(quantity);
  const text = isLength ? longLength(amount, units).replace('≈ ', '') : amount.toLocaleString('en');
  return quantity < 0 ? `− ${text}` : text;
}

/** The text for a field, so that reading it gives the quantity back. */
export const amountField = (quantity: number, { isLength, units }: Counted): string =>
  isLength ? printNumber(quantity, STYLES[units]).text.replace('≈ ', '') : String(quantity);

/** Reads a typed quantity, or gives a sentence. */
export function readAmount(text: string, { isLength, units }: Counted): { value: number } | { message: string } {
  if (isLength) {
    if (/^0+$/.test(text.trim())) return { value: 0 };
    const read = parseLength(text, typingUnit(units));
    return read.ok ? { value: read.value } : { message: read.faults[0]!.message };
  }
  return /^\d{1,9}$/.test(text.trim()) ? { value: Number(text) } : { message: 'Write a whole number.' };
}

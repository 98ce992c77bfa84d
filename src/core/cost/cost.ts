import type { Cloth } from '../cloth';
import { NM, type Nm } from '../length';
import { roundHalfUp } from './rounding';

/** The length that has to be bought: `used` rounded up to the cloth's selling step (nm). */
export const boughtLength = (used: Nm, step: Nm): Nm => (step > 0 ? Math.ceil(used / step) * step : used);

/** The cost of a length in minor units of the cloth's currency, rounded half up to the cent. A price for a sheet, or for a whole remnant, is for its length. */
export function costOf(length: Nm, { price, sheetLength }: Pick<Cloth, 'price' | 'sheetLength'>): number {
  const per = BigInt(price.per === 'sheet' || price.per === 'whole' ? (sheetLength ?? NM.m) : NM[price.per]);
  return roundHalfUp(BigInt(length) * BigInt(price.minor), per);
}

/** Waste: the part of the cloth laid on that is in no piece; both areas in nm². 0 when nothing is used. */
export const wasteShare = (laidOn: number, pieces: number): number => (laidOn > 0 ? (laidOn - pieces) / laidOn : 0);

/** An order's needs of a cloth: the length and cost if it were cut alone, and the area of its pieces. */
export interface OrderNeed {
  aloneLength: Nm;
  aloneCost: number;
  area: number;
}

/**
 * Each order's part of a batch's cost (minor units, summing to `total` exactly), by the length that it would have
 * needed alone. Nobody pays more than alone: what would go over an order's own cost is spread over the others by the
 * same measure. Only when the batch costs more than all orders alone together does the excess fall on all.
 */
export function sharesByLength(total: number, needs: readonly OrderNeed[]): number[] {
  const caps = needs.map(({ aloneCost }) => aloneCost);
  const room = caps.reduce((sum, cap) => sum + cap, 0);
  if (room < total) return apportion(total, caps);
  const shares = new Array<number>(needs.length).fill(0);
  let open = needs.map((_, i) => i);
  let left = total;
  while (open.length > 0) {
    const weight = open.reduce((sum, i) => sum + needs[i]!.aloneLength, 0);
    const part = (i: number) => (weight > 0 ? (left * needs[i]!.aloneLength) / weight : left / open.length);
    const over = open.filter((i) => part(i) > caps[i]!);
    if (over.length === 0) {
      apportion(
        left,
        open.map(part),
        open.map((i) => caps[i]!),
      ).forEach((share, k) => (shares[open[k]!] = share));
      break;
    }
    for (const i of over) {
      shares[i] = caps[i]!;
      left -= caps[i]!;
    }
    open = open.filter((i) => !over.includes(i));
  }
  return shares;
}

/** Each order's part of a batch's cost by the area of its pieces; sums to `total` exactly. */
export const sharesByArea = (total: number, needs: readonly OrderNeed[]): number[] =>
  apportion(
    total,
    needs.map(({ area }) => area),
  );

/**
 * Whole parts of `total` in proportion to the weights, by largest remainder (Hamilton's method); with caps, the odd
 * units go only where there is room. Equal weights of zero share alike.
 */
export function apportion(total: number, weights: readonly number[], caps?: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  const exact = weights.map((weight) => (sum > 0 ? (total * weight) / sum : total / weights.length));
  const parts = exact.map(Math.floor);
  let rest = total - parts.reduce((a, b) => a + b, 0);
  const byRemainder = exact
    .map((value, i) => ({ i, remainder: value - parts[i]! }))
    .sort((a, b) => b.remainder - a.remainder || a.i - b.i);
  for (let round = 0; rest > 0 && round < 2 + total; round++) {
    for (const { i } of byRemainder) {
      if (rest > 0 && (!caps || parts[i]! < caps[i]!)) {
        parts[i]!++;
        rest--;
      }
    }
  }
  return parts;
}

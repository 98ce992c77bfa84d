import { roundHalfUp } from '../cost';
import { NM } from '../length';

/** How something on the shelf was priced. `whole`: the price is for all of a remnant as it was kept. */
export interface Priced {
  priceMinor: number;
  pricePer: 'yd' | 'm' | 'piece' | 'pack' | 'sheet' | 'whole';
  /** How many pieces one pack has. */
  packSize?: number;
  /** How long it was when it came (nm): the whole that `whole` is a price for. */
  lengthNm?: number | null;
}

/** The unit of a price, in the quantities of the ledger: nanometres or pieces. */
const unitOf = ({ pricePer, packSize = 1, lengthNm }: Priced): number =>
  pricePer === 'yd' || pricePer === 'm'
    ? NM[pricePer]
    : pricePer === 'pack'
      ? packSize
      : pricePer === 'whole'
        ? (lengthNm ?? 1)
        : 1;

/** A quantity times a price over its unit, exactly, rounded down or half up to the minor unit. */
function minorOf(quantity: number, priced: Priced, rounding: 'down' | 'half up'): number {
  const unit = BigInt(unitOf(priced));
  const worth = BigInt(Math.abs(quantity)) * BigInt(priced.priceMinor);
  return rounding === 'down' ? Number(worth / unit) : roundHalfUp(worth, unit);
}

/** The worth of a quantity in minor units, at what was paid for it; rounded half up, away from zero where it is negative. */
export const worthOf = (quantity: number, priced: Priced): number =>
  Math.sign(quantity) * minorOf(quantity, priced, 'half up') + 0;

/**
 * The price of a remnant, for all of it: what the length that was booked as kept was worth on the item that it was cut from (`parent`).
 * Rounded down, so that the shelf never gains more than left the bolt; the rest of the used length is booked as cut and as waste.
 */
export const remnantPrice = (keptNm: number, parent: Priced): { priceMinor: number; pricePer: 'whole' } => ({
  priceMinor: minorOf(keptNm, parent, 'down'),
  pricePer: 'whole',
});

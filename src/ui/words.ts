import { printMoney } from '@/core/cost';
import { longLength, type Nm, type OrderUnits } from '@/core/length';

export { longLength } from '@/core/length';

export const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;

/** A proof that leaves more than this open says nothing about the lay, only about itself. */
const WEAK_PROOF = 0.1;

/** How far a lay may be over the shortest possible one, by its proven bound, in words; null where the proof is too weak to say. */
export function overBound(used: Nm, bound: Nm): string | null {
  if (used <= bound) return 'the shortest possible';
  const over = (used - bound) / bound;
  if (!(over <= WEAK_PROOF)) return null;
  return over < 0.0005
    ? 'less than 0.1 % over the shortest possible'
    : `${(100 * over).toFixed(1)} % over the shortest possible`;
}

/** A lay beside the one that a practised hand makes of the same pieces from the same bolts. Lengths in nm, costs in minor units. */
interface BesideHand {
  usedNm: Nm;
  handNm: Nm;
  costMinor: number;
  handCostMinor: number;
  currency: string;
  units: OrderUnits;
  /** The codes of what it is cut from. */
  codes: readonly string[];
}

/** The saving of a lay against the hand method: the money, and where it comes from. */
export function lessThanByHand({ usedNm, handNm, costMinor, handCostMinor, currency, units, codes }: BesideHand): {
  money: string;
  source: string;
} {
  const [shorter, cheaper] = [handNm - usedNm, handCostMinor - costMinor];
  const isFromRemnants = codes.some((code) => /^R\d/.test(code));
  const length =
    shorter > 0 ? `${longLength(shorter, units).replace('≈ ', '')} shorter` : shorter < 0 ? 'longer' : 'same length';
  return {
    money: cheaper > 0 ? printMoney(cheaper, currency) : 'nothing',
    source: isFromRemnants ? `${length}, from remnants` : length,
  };
}

/** Consequence of a change for batches whose lays it has dropped; nothing where there are none. */
export const laysAgain = (batches: readonly string[]): string | undefined =>
  batches.length > 0
    ? `The lays of ${batches.map((name) => `“${name}”`).join(' and ')} have to be made again.`
    : undefined;

/** `1 row`, `2,000 rows`. */
export const counted = (n: number, one: string): string => `${n.toLocaleString('en')} ${n === 1 ? one : `${one}s`}`;

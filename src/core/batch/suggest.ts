import { boughtLength, costOf } from '../cost';
import type { Cloth } from '../cloth';
import type { Nm } from '../length';
import { beforeWash } from '../stock';

/** A waiting order on one cloth, as far as a suggestion needs it. */
interface WaitingOrder {
  orderNo: string;
  /** A day like 2027-03-05. */
  due: string;
  lineIds: readonly number[];
}

/** Orders of one cloth that are worth cutting together. */
export interface TogetherGroup {
  orders: WaitingOrder[];
  /** The soonest and the latest of their days. */
  from: string;
  to: string;
}

/** Orders that are due further apart than this are not held back for each other. */
export const CLOSE_DAYS = 14;
/** The most orders in one group: a lay of more takes the cutter past a day. */
const MOST_ORDERS = 12;

const DAY_MS = 86_400_000;
const daysBetween = (a: string, b: string) => Math.round((Date.parse(b) - Date.parse(a)) / DAY_MS);

/**
 * Groups the orders of one cloth that are due close together: each group begins with the soonest that is in none yet and takes what is
 * due within `CLOSE_DAYS` of it. A single order is no group.
 */
export function groupsOf(orders: readonly WaitingOrder[]): TogetherGroup[] {
  const sorted = [...orders].sort((a, b) => a.due.localeCompare(b.due) || a.orderNo.localeCompare(b.orderNo));
  const groups: WaitingOrder[][] = [];
  for (const order of sorted) {
    const last = groups.at(-1);
    if (last && last.length < MOST_ORDERS && daysBetween(last[0]!.due, order.due) <= CLOSE_DAYS) last.push(order);
    else groups.push([order]);
  }
  return groups
    .filter(({ length }) => length > 1)
    .map((group) => ({ orders: group, from: group[0]!.due, to: group.at(-1)!.due }));
}

/** Saving of cutting together over each alone, bought in the shop's steps: nm and minor units, never below 0. */
export function savingOf(cloth: Cloth, together: Nm, alone: readonly Nm[]): { savedNm: Nm; savedMinor: number } {
  const bought = (length: Nm) => boughtLength(beforeWash(length, cloth.shrinkage?.along), cloth.sellingStep);
  const apart = alone.map(bought);
  const priced = (length: Nm) => costOf(length, cloth);
  return {
    savedNm: Math.max(0, apart.reduce((sum, one) => sum + one, 0) - bought(together)),
    savedMinor: Math.max(0, apart.reduce((sum, one) => sum + priced(one), 0) - priced(bought(together))),
  };
}

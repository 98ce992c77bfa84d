import type { CutPiece } from '../cutlist';
import { usableWidth, type Cloth } from '../cloth';
import type { Nm } from '../length';
import { DAY_MIN } from './wall-clock';

/** A cloth as the plan knows it. */
export interface ShelfCloth {
  name: string;
  usable: Nm;
  /** Length that no approved lay and no earlier order needs. */
  free: Nm;
  /** The minute at which a delivery that is on its way is there; null: none is. */
  comes: number | null;
  /** It is washed before it is cut: that takes a day. */
  isWashed: boolean;
}

/** A time before which nothing is cut, and the reason. */
export interface NotBefore {
  at: number;
  why: string;
}

/** Share of the width that pieces fill on a lay, for the rough need before there is one. From memory. */
const FILL = 0.85;
/** Minutes of the clock that washing and drying a cloth take. Common practice, no source. */
const WASH = DAY_MIN;

/** The rough length that pieces take of each of their cloths, by area. */
export function roughNeeds(
  pieces: readonly Pick<CutPiece, 'cloth' | 'qty' | 'across' | 'along'>[],
  usableOf: (cloth: string) => Nm | undefined,
): Map<string, Nm> {
  const needs = new Map<string, Nm>();
  for (const { cloth, qty, across, along } of pieces) {
    const usable = usableOf(cloth);
    if (usable === undefined) continue;
    needs.set(cloth, (needs.get(cloth) ?? 0) + Math.round((across / usable / FILL) * along) * qty);
  }
  return needs;
}

/**
 * Takes rough needs off what is free, and says before when nothing can be cut of them: a cloth that is short comes with its delivery, or, where none
 * is on its way, `usualDays` from now. The latest of all decides.
 */
export function takeCloth(
  shelf: Map<string, ShelfCloth>,
  needs: ReadonlyMap<string, Nm>,
  now: number,
  usualDays: number,
): NotBefore | null {
  let latest: NotBefore | null = null;
  for (const [id, length] of needs) {
    const cloth = shelf.get(id);
    if (!cloth) continue;
    const isShort = cloth.free < length;
    shelf.set(id, { ...cloth, free: cloth.free - length });
    const there = isShort ? Math.max(now, cloth.comes ?? now + usualDays * DAY_MIN) : now;
    const at = there + (cloth.isWashed ? WASH : 0);
    const why = !isShort
      ? `${cloth.name} is washed first`
      : cloth.comes === null
        ? `${cloth.name} has to be bought`
        : `${cloth.name} is on its way`;
    if (at > now && (latest === null || at > latest.at)) latest = { at, why };
  }
  return latest;
}

/** A cloth of the shelf for the plan. */
export const shelfCloth = (cloth: Cloth & { name: string }, free: Nm, comes: number | null): ShelfCloth => ({
  name: cloth.name,
  usable: usableWidth(cloth),
  free,
  comes,
  isWashed: cloth.shrinkage !== undefined,
});

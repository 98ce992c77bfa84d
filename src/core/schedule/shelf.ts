import type { CutPiece } from '../cutlist';
import { usableWidth, type Cloth } from '../cloth';
import type { Nm } from '../length';
import { bindNotion, type NotionNeed, type NotionStock } from '../stock';
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

/** A notion as the plan knows it. */
export interface ShelfNotion extends NotionStock {
  /** Nanometres of what is counted by its length, else pieces; null: the workroom does not count it. */
  free: number | null;
  /** The minute at which a delivery that is on its way is there; null: none is. */
  comes: number | null;
}

/** A time before which a step is not begun, and the reason. */
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
    const short = cloth.free < length ? whenShort(cloth, now, usualDays) : null;
    shelf.set(id, { ...cloth, free: cloth.free - length });
    const at = (short?.at ?? now) + (cloth.isWashed ? WASH : 0);
    latest = later(latest, { at, why: short?.why ?? `${cloth.name} is washed first` }, now);
  }
  return latest;
}

/**
 * Takes the notions of a line off what is free, and says before when it can't be sewn for want of them, as `takeCloth` does for cutting. A notion
 * that the workroom does not count holds nothing.
 */
export function takeNotions(
  shelf: Map<number, ShelfNotion>,
  needs: readonly NotionNeed[],
  now: number,
  usualDays: number,
): NotBefore | null {
  let latest: NotBefore | null = null;
  const stock = [...shelf.values()];
  for (const need of needs) {
    const { material, quantity } = bindNotion(need, stock);
    const notion = material && shelf.get(material.id);
    if (!notion || notion.free === null) continue;
    shelf.set(notion.id, { ...notion, free: notion.free - quantity });
    if (notion.free < quantity) latest = later(latest, whenShort(notion, now, usualDays), now);
  }
  return latest;
}

/** The time at which what is short is there: with its delivery, or, where none is on its way, after the days that buying usually takes. */
const whenShort = (
  { name, comes }: { name: string; comes: number | null },
  now: number,
  usualDays: number,
): NotBefore =>
  comes === null
    ? { at: now + usualDays * DAY_MIN, why: `${name} has to be bought` }
    : { at: Math.max(now, comes), why: `${name} is on its way` };

const later = (latest: NotBefore | null, next: NotBefore, now: number): NotBefore | null =>
  next.at > now && (latest === null || next.at > latest.at) ? next : latest;

/** A cloth of the shelf for the plan. */
export const shelfCloth = (cloth: Cloth & { name: string }, free: Nm, comes: number | null): ShelfCloth => ({
  name: cloth.name,
  usable: usableWidth(cloth),
  free,
  comes,
  isWashed: cloth.shrinkage !== undefined,
});

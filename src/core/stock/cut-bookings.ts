import { apportion } from '../cost';
import type { LayJob, LayPlan } from '../lay';
import type { Nm } from '../length';
import type { LayOutcome, LayStock } from './lay-outcome';
import type { Movement, WasteCause } from './movement';
import { SPLIT_PARTS, splitUsed, type UsedSplit } from './waste';

/** Problems than planned, and the length (nm, as on the shelf) that it took beyond the plan. */
export const EVENT_CAUSES = {
  'end crooked': 'end',
  'flaw found': 'flaw',
  miscut: 'miscut',
  recut: 'recut',
} as const satisfies Record<string, WasteCause>;
export type EventSort = keyof typeof EVENT_CAUSES;

interface CutEvent {
  sort: EventSort;
  /** The length of cloth that it took more of, by its code in the lay. */
  code: string;
  lengthNm: Nm;
}

/** A remnant that is kept, as the cutter measured it. */
interface KeptRemnant {
  /** The length of cloth in the lay that it comes from. */
  code: string;
  area: number;
}

/** A movement of one item, before anybody knows its id. `keeps` is the place of the remnant in the list of those that are kept. */
export interface CutMovement extends Movement {
  code: string;
  cause?: WasteCause;
  keeps?: number;
}

interface CutContext {
  fullWidthOf: (code: string) => Nm;
  shrinkageOf: (code: string) => number;
  patternPart: number;
  kept: readonly KeptRemnant[];
  events: readonly CutEvent[];
}

/**
 * Bookings of a lay that has been cut: of each length of cloth the part that became pieces, the waste by its cause, the remnants that
 * are kept, and what went wrong beyond the plan. The parts of each length sum to what it used, to the nanometre.
 */
export function cutBookings(
  job: LayJob,
  plan: LayPlan,
  { uses }: LayStock,
  { fullWidthOf, shrinkageOf, patternPart, kept, events }: CutContext,
): { movements: CutMovement[]; outcome: LayOutcome } {
  const movements: CutMovement[] = [];
  const items: LayOutcome['items'] = [];
  for (const lay of plan.lays.filter(({ used }) => used > 0)) {
    const code = lay.stock;
    const use = uses.find((one) => one.code === code) ?? null;
    const own = kept.flatMap((remnant, i) => (remnant.code === code ? [{ ...remnant, i }] : []));
    const split = splitUsed(job, lay, {
      fullWidth: fullWidthOf(code),
      kept: own,
      patternPart,
      shrinkage: shrinkageOf(code),
    });
    const more = events.filter((event) => event.code === code);
    const usedNm = SPLIT_PARTS.reduce((sum, name) => sum + split[name], 0);
    items.push({
      code,
      itemId: use?.itemId ?? null,
      usedNm,
      split,
      moreNm: more.reduce((sum, { lengthNm }) => sum + lengthNm, 0),
    });
    movements.push({ code, sort: 'cut', quantity: split.pieces });
    for (const cause of WASTED) movements.push({ code, sort: 'wasted', cause, quantity: split[cause] });
    apportion(
      split.remnant,
      own.map(({ area }) => area),
    ).forEach((quantity, k) => movements.push({ code, sort: 'kept', quantity, keeps: own[k]!.i }));
    for (const { sort, lengthNm } of more)
      movements.push({ code, sort: 'wasted', cause: EVENT_CAUSES[sort], quantity: lengthNm });
  }
  return {
    movements: movements.filter(({ quantity }) => quantity > 0),
    outcome: { items, isAsPlanned: events.length === 0 },
  };
}

const WASTED = ['offcut', 'selvage', 'pattern', 'flaw'] as const satisfies (keyof UsedSplit & WasteCause)[];

import { parseLength, type Nm, type Units, typingUnit } from '@/core/length';
import type { Fault } from '@/core/result';
import { EVENT_CAUSES, type EventSort } from '@/core/stock';

export const EVENT_SORTS = Object.keys(EVENT_CAUSES) as EventSort[];

export const EVENT_LABELS: Record<EventSort, string> = {
  'end crooked': 'The end was crooked',
  'flaw found': 'A flaw was found',
  miscut: 'A piece was miscut',
  recut: 'A piece was cut again',
};

/** In a choice of items: cloth that is not kept on the shelf. */
export const NOT_ON_SHELF = 'none';

/** Problems than planned, as it is typed. */
export interface EventForm {
  sort: EventSort;
  /** The length of cloth that it took more of, by its code in the lay. */
  code: string;
  length: string;
  /** The piece that was cut again: its id in the lay job; empty where it is none of one order's. */
  part: string;
  why: string;
}

/** A remnant as the cutter confirms or changes it. */
export interface RemnantForm {
  code: string;
  /** Its place among those that the lay proposes; null for one that the cutter adds. */
  proposed: number | null;
  isKept: boolean;
  across: string;
  along: string;
  place: string;
}

/** How a lay was cut. */
export interface CutForm {
  batchId: number;
  clothId: number;
  version: number;
  /** Which item each length was really cut from; null: cloth that is not kept on the shelf. */
  from: { code: string; itemId: number | null }[];
  events: EventForm[];
  remnants: RemnantForm[];
}

export interface ReadCut {
  events: (Omit<EventForm, 'length'> & { lengthNm: Nm })[];
  remnants: (Omit<RemnantForm, 'across' | 'along'> & { acrossNm: Nm; alongNm: Nm })[];
}

/** Reads the lengths of a cut form; each fault names its field. */
export function readCutForm({ events, remnants }: Pick<CutForm, 'events' | 'remnants'>, units: Units) {
  const faults: Fault[] = [];
  const length = (text: string, field: string): Nm => {
    const read = parseLength(text, typingUnit(units), field);
    if (read.ok && read.value > 0) return read.value;
    faults.push(...(read.ok ? [{ code: 'length', field, message: 'A length is more than zero.' }] : read.faults));
    return 0;
  };
  const value: ReadCut = {
    events: events.map(({ length: text, ...event }, i) => ({ ...event, lengthNm: length(text, `events.${i}.length`) })),
    remnants: remnants
      .map((remnant, i) => ({ remnant, i }))
      .filter(({ remnant }) => remnant.isKept)
      .map(({ remnant: { across, along, ...remnant }, i }) => ({
        ...remnant,
        acrossNm: length(across, `remnants.${i}.across`),
        alongNm: length(along, `remnants.${i}.along`),
      })),
  };
  return { value, faults };
}

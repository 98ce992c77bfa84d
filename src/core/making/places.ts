import type { CoverState } from './cover-states';

/** A place of the room, as its people name it, with the states of the covers that stand there. */
export interface Place {
  key: string;
  name: string;
  states: CoverState[];
}

/** The places of a workroom that has named none: from the table to the door. */
export const USUAL_PLACES: readonly Place[] = [
  { key: 'table', name: 'Long table', states: ['to cut', 'cut'] },
  { key: 'machines', name: 'Machines', states: ['in sewing', 'to mend'] },
  { key: 'bench', name: 'Bench', states: ['to check', 'checked'] },
  { key: 'door', name: 'Door shelf', states: ['packed', 'handed over'] },
];

/** Where a cover stands: where it was put, as long as that place takes its state; else the first that does. */
export function placeOfCover(
  places: readonly Place[],
  { state, place }: { state: CoverState; place: string | null },
): Place {
  const own = places.find(({ key }) => key === place);
  if (own?.states.includes(state)) return own;
  return places.find(({ states }) => states.includes(state)) ?? places[0]!;
}

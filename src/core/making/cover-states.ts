import type { TransitionTable } from '../transitions';

/** The states of one cover, from the approval of its batch to its customer. */
export const COVER_STATES = [
  'to cut',
  'cut',
  'in sewing',
  'to mend',
  'to check',
  'checked',
  'packed',
  'handed over',
] as const;
export type CoverState = (typeof COVER_STATES)[number];

/** Events of a cover. */
export const COVER_EVENTS = [
  'cut',
  'begin',
  'put back',
  'put aside',
  'finish',
  'pass',
  'find',
  'mended',
  'pack',
  'unpack',
  'hand over',
  'take back',
  'withdraw',
] as const;
export type CoverEvent = (typeof COVER_EVENTS)[number];

/** All transitions of a cover: whatever is not here is refused. */
export const COVER_TRANSITIONS: TransitionTable<CoverState, CoverEvent> = {
  // By closing the last lay that has a part of it.
  cut: { from: ['to cut'], to: 'cut', refusal: 'It has been cut already.' },
  begin: { from: ['cut', 'to mend'], to: 'in sewing', refusal: 'Only what is cut, or has to be mended, is sewn.' },
  'put back': { from: ['in sewing'], to: 'cut', refusal: 'Nobody is sewing it.' },
  // Back from the machines while it still has to be mended.
  'put aside': { from: ['in sewing'], to: 'to mend', refusal: 'Nobody is sewing it.' },
  finish: { from: ['in sewing'], to: 'to check', refusal: 'Only what is being sewn can be sewn to its end.' },
  pass: { from: ['to check'], to: 'checked', refusal: 'Only what is sewn is checked.' },
  find: {
    from: ['to check', 'checked'],
    to: 'to mend',
    refusal: 'Only what is sewn and not packed goes back to be mended.',
  },
  mended: { from: ['to mend'], to: 'to check', refusal: 'Nothing has to be mended on it.' },
  pack: { from: ['checked'], to: 'packed', refusal: 'Only what is checked is packed.' },
  unpack: { from: ['packed'], to: 'checked', refusal: 'It is not packed.' },
  'hand over': { from: ['packed'], to: 'handed over', refusal: 'Only what is packed is handed over.' },
  'take back': { from: ['handed over'], to: 'packed', refusal: 'It has not been handed over.' },
  // Its batch is planned again: it is no cover yet.
  withdraw: { from: ['to cut'], to: null, refusal: 'It has been cut: its batch stays approved.' },
};

/** Reasons for which a cover waits, beside its state. */
export const HOLDS = ['parts missing', 'cloth', 'customer', 'recut'] as const;
export type Hold = (typeof HOLDS)[number];

export const HOLD_LABELS: Record<Hold, string> = {
  'parts missing': 'Parts are missing',
  cloth: 'Waits for its cloth',
  customer: 'Waits for the customer',
  recut: 'A piece is cut again',
};

/** Events that somebody gives with their own hands, each with what the button says; cutting and handing over have pages of their own. */
export const HAND_EVENTS = {
  begin: 'Begin sewing',
  'put back': 'Back to the cut ones',
  finish: 'Sewn',
  pass: 'Checked: right',
  find: 'Has to be mended',
  mended: 'Mended',
  pack: 'Packed',
  unpack: 'Unpack',
} as const satisfies Partial<Record<CoverEvent, string>>;
export type HandEvent = keyof typeof HAND_EVENTS;
export const BY_HAND = Object.keys(HAND_EVENTS) as HandEvent[];

/** The events that can be given to a cover in a state. */
export const eventsFor = (state: CoverState): HandEvent[] =>
  BY_HAND.filter((event) => COVER_TRANSITIONS[event].from.includes(state));

/**
 * The event that brings a cover to a place where covers of these states stand: null where it can stand there as it is, a sentence where no
 * single event leads there.
 */
export function eventTo(
  state: CoverState,
  states: readonly CoverState[],
): { event: CoverEvent | null } | { refusal: string } {
  if (states.includes(state)) return { event: null };
  const event = BY_HAND.find(
    (one) => COVER_TRANSITIONS[one].from.includes(state) && states.includes(COVER_TRANSITIONS[one].to!),
  );
  return event ? { event } : { refusal: WAYS_ON[state] };
}

/** Refusals of a move that leaves a step out: each names the cover's next step. */
const WAYS_ON: Record<CoverState, string> = {
  'to cut': 'It is not cut yet: close its lays first.',
  cut: 'It is cut and not sewn yet: it goes to the machines next.',
  'in sewing': 'It is being sewn: it goes back to the cut covers, or on to be checked.',
  'to mend': 'It has to be mended: it goes to the machines, or to be checked again.',
  'to check': 'It is sewn and not checked yet: it is checked next.',
  checked: 'It is checked: it is packed next.',
  packed: 'It is packed: it is handed over next, or unpacked.',
  'handed over': 'It has been handed over: take it back first.',
};

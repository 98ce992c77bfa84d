import type { EventSort } from '@/core/stock';

/** A problem at a step, in the ledger's terms. */
export interface Trouble {
  sort: EventSort;
  /** The length of cloth, by its code in the lay. */
  code: string;
  /** How much more cloth it took, as typed; empty where that is measured later. */
  length: string;
  /** The piece: its id in the lay job; empty where it is none of one order's. */
  part: string;
  why: string;
}

/** One thing that a cutter did on a device, to be sent when there is a network. Its id stays the same however often it is sent. */
export type CutEntry = { entry: string; step: number; at: string } & (
  | { do: 'tick' }
  /** Takes a tick back: that of `of`, and no other that came since. */
  | { do: 'untick'; of: string }
  | ({ do: 'trouble' } & Trouble)
);

/** A step that is done, as everybody sees it. */
export interface Tick {
  step: number;
  entry: string;
  /** Who ticked it; empty where nobody has said who was at the device. */
  by: string;
  at: string;
}

/** A problem, as everybody sees it. */
interface FoundTrouble extends Trouble {
  entry: string;
  step: number;
  by: string;
  at: string;
}

/** How a sheet stands on the server. */
export interface SheetState {
  layVersion: number;
  /** When the server said so, by its own clock (ISO 8601, UTC): of two states the later holds. */
  asOf: string;
  /** Why nothing can be ticked any more; empty while it can. */
  closed: string;
  ticks: Tick[];
  troubles: FoundTrouble[];
}

/** Outcome of some entries: those that are dealt with, the ones among them that were not taken, and how the sheet stands. */
export interface SendOutcome {
  dealtWith: string[];
  conflicts: { entry: string; step: number; message: string }[];
  state: SheetState;
}

/** A sheet as a device keeps it: how it stood when the network was there, and what was done since. */
export interface DeviceSheet {
  /** The version of the lay whose steps the page shows: what waits is of it, whatever the server has meanwhile. */
  layVersion: number;
  state: SheetState;
  /** In the order in which it was done. */
  waiting: CutEntry[];
  /** The request that carries the first of what waits, as long as it was not answered: sent again it is the same one. */
  sending: { request: string; count: number } | null;
  conflicts: SendOutcome['conflicts'];
}

/** A sheet that a page opens with nothing kept. */
export const freshSheet = (state: SheetState): DeviceSheet => ({
  layVersion: state.layVersion,
  state,
  waiting: [],
  sending: null,
  conflicts: [],
});

/**
 * The sheet of a page with what the device kept of it before. What was done on an earlier lay is not lost but said. A page that is older
 * than what the device kept (it came from the device itself, without the network) leaves that alone: null.
 */
export function withKept(page: DeviceSheet, kept: DeviceSheet): DeviceSheet | null {
  if (kept.layVersion > page.layVersion) return null;
  const state = laterOf(kept.state, page.state);
  if (kept.layVersion < page.layVersion)
    return { ...page, state, conflicts: [...kept.conflicts, ...kept.waiting.map(ofEarlierLay), ...page.conflicts] };
  return {
    ...kept,
    state,
    waiting: [...kept.waiting, ...page.waiting],
    conflicts: [...kept.conflicts, ...page.conflicts],
  };
}

const ofEarlierLay = ({ entry, step, ...one }: CutEntry): SendOutcome['conflicts'][number] => ({
  entry,
  step,
  message: `This cloth was laid again since; of the earlier lay ${one.do === 'trouble' ? `“${one.why || one.sort}” at step ${step}` : `the tick of step ${step}`} was not sent.`,
});

/** Why nothing can be ticked on this page; empty while it can. */
export const closedFor = ({ layVersion, state }: DeviceSheet): string =>
  state.layVersion === layVersion ? state.closed : 'This cloth was laid again, and the steps are other ones now.';

/** Most entries that are sent at once; the rest after the answer. */
export const MOST_ENTRIES = 200;

/** A step as this device shows it. */
export interface ShownTick extends Tick {
  /** Not sent yet. */
  isWaiting: boolean;
}

/** The ticks as the device shows them: those of the server, with what waits to be sent laid over them. */
export function shownTicks({ state, waiting }: DeviceSheet): Map<number, ShownTick> {
  const shown = new Map(state.ticks.map((tick) => [tick.step, { ...tick, isWaiting: false }]));
  for (const one of waiting) {
    if (one.do === 'tick' && !shown.has(one.step))
      shown.set(one.step, { step: one.step, entry: one.entry, by: '', at: one.at, isWaiting: true });
    if (one.do === 'untick' && shown.get(one.step)?.entry === one.of) shown.delete(one.step);
  }
  return shown;
}

/** With a step ticked; nothing changes where it is ticked already, here or elsewhere. */
export function ticked(sheet: DeviceSheet, step: number, entry: string, at: string): DeviceSheet {
  if (shownTicks(sheet).has(step)) return sheet;
  return { ...sheet, waiting: [...sheet.waiting, { do: 'tick', entry, step, at }] };
}

/** With a tick taken back: one that was not sent yet is just forgotten. */
export function unticked(sheet: DeviceSheet, step: number, entry: string, at: string): DeviceSheet {
  const tick = shownTicks(sheet).get(step);
  if (!tick) return sheet;
  // An entry that is being sent right now may arrive all the same, so that a tick is taken back by an entry of its own.
  return { ...sheet, waiting: [...sheet.waiting, { do: 'untick', of: tick.entry, entry, step, at }] };
}

/** With something wrong noted at a step. */
export const troubled = (
  sheet: DeviceSheet,
  step: number,
  trouble: Trouble,
  entry: string,
  at: string,
): DeviceSheet => ({
  ...sheet,
  waiting: [...sheet.waiting, { do: 'trouble', entry, step, at, ...trouble }],
});

/** The request to send now: the one that was not answered yet, or the next one of that id. */
export function toSend(sheet: DeviceSheet, request: string): { sheet: DeviceSheet; entries: CutEntry[] } {
  const sending = sheet.sending ?? { request, count: Math.min(sheet.waiting.length, MOST_ENTRIES) };
  return { sheet: { ...sheet, sending }, entries: sheet.waiting.slice(0, sending.count) };
}

/** The sheet after the server has answered: what it dealt with waits no more, what it did not take is said. */
export function afterSending(sheet: DeviceSheet, { dealtWith, conflicts, state }: SendOutcome): DeviceSheet {
  const done = new Set(dealtWith);
  return {
    layVersion: sheet.layVersion,
    state: laterOf(state, sheet.state),
    waiting: sheet.waiting.filter(({ entry }) => !done.has(entry)),
    sending: null,
    conflicts: [...sheet.conflicts, ...conflicts],
  };
}

/** The sheet as it stands on the server, with what still waits here. A state from before the one that is known is not taken. */
export function refreshed(sheet: DeviceSheet, state: SheetState): DeviceSheet {
  return isOlder(state, sheet.state) ? sheet : { ...sheet, state };
}

const isOlder = (one: SheetState, than: SheetState) =>
  one.layVersion < than.layVersion || (one.layVersion === than.layVersion && one.asOf < than.asOf);

/** The later of two states: the page may have been made long before what the device heard last. */
const laterOf = (a: SheetState, b: SheetState): SheetState => (isOlder(a, b) ? b : a);

/** The first step that is not done, from 1; one more than the last where all are. */
export function nextOpen(steps: number, done: ReadonlyMap<number, unknown>): number {
  for (let step = 1; step <= steps; step++) if (!done.has(step)) return step;
  return steps + 1;
}

import type { EventSort } from '@/core/stock';
import { noted, type KeptEntry, type KeptSheet, type KeptState, type Outcome } from '@/ui/kept/kept-sheet';

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
export type CutEntry = KeptEntry &
  (
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

/** How a sheet stands on the server; its version is the lay's. */
export interface SheetState extends KeptState {
  ticks: Tick[];
  troubles: FoundTrouble[];
}

export type SendOutcome = Outcome<SheetState>;
export type DeviceSheet = KeptSheet<SheetState, CutEntry>;

/** Sentence about an entry that was made on an earlier lay. */
export const sayLost = ({ step, ...one }: CutEntry): string =>
  `This cloth was laid again since; of the earlier lay ${one.do === 'trouble' ? `“${one.why || one.sort}” at step ${step}` : `the tick of step ${step}`} was not sent.`;

/** Why nothing can be ticked on this page; empty while it can. */
export const closedFor = ({ version: layVersion, state }: DeviceSheet): string =>
  state.version === layVersion ? state.closed : 'This cloth was laid again, and the steps are other ones now.';

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
  return noted(sheet, { do: 'tick', entry, step, at });
}

/** With a tick taken back: one that was not sent yet is just forgotten. */
export function unticked(sheet: DeviceSheet, step: number, entry: string, at: string): DeviceSheet {
  const tick = shownTicks(sheet).get(step);
  if (!tick) return sheet;
  // An entry that is being sent right now may arrive all the same, so that a tick is taken back by an entry of its own.
  return noted(sheet, { do: 'untick', of: tick.entry, entry, step, at });
}

/** With something wrong noted at a step. */
export const troubled = (sheet: DeviceSheet, step: number, trouble: Trouble, entry: string, at: string): DeviceSheet =>
  noted(sheet, { do: 'trouble', entry, step, at, ...trouble });

/** The first step that is not done, from 1; one more than the last where all are. */
export function nextOpen(steps: number, done: ReadonlyMap<number, unknown>): number {
  for (let step = 1; step <= steps; step++) if (!done.has(step)) return step;
  return steps + 1;
}

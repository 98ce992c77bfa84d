import type { RunTick } from '@/core/making';
import { noted, type KeptEntry, type KeptSheet, type KeptState, type Outcome } from '@/ui/kept/kept-sheet';

/** One thing that was done at a run on a device. */
export type RunEntry = KeptEntry &
  (
    | { do: 'tick'; covers: number[]; answer?: 'yes' }
    | { do: 'untick'; covers: number[] }
    /** The clock of whoever is at the device; their step is the one in hand. */
    | { do: 'start' }
    | { do: 'stop' }
    /** A setting was found good on a scrap of a cloth. */
    | ({ do: 'setting' } & Omit<ClothSetting, 'by' | 'at'>)
  );

/** A setting of the machine that was found good on a cloth. */
export interface ClothSetting {
  clothId: number;
  tension: string;
  stitch: string;
  note: string;
  by: string;
  at: string;
}

/** How a run stands on the server. */
export interface RunState extends KeptState {
  ticks: RunTick[];
  /** Since when each clock goes that has not been stopped (ISO 8601), by the person’s name. */
  going: { by: string; since: string }[];
  /** Whole minutes that were counted or noted, and what a person still has to say a word to. */
  minutes: number;
  questions: string[];
  /** The newest setting that was found on each cloth of the run. */
  settings: ClothSetting[];
}

export type RunSheet = KeptSheet<RunState, RunEntry>;
export type RunOutcome = Outcome<RunState>;

/** A run's steps are fixed when it begins. */
export const RUN_VERSION = 1;

/** Which covers are through which step, as the device shows it: the server's, with what waits laid over it. */
export function shownRunTicks({ state, waiting }: RunSheet): Map<number, Set<number>> {
  const shown = new Map<number, Set<number>>();
  const of = (step: number) => {
    const covers = shown.get(step) ?? new Set<number>();
    shown.set(step, covers);
    return covers;
  };
  for (const { step, cover } of state.ticks) of(step).add(cover);
  for (const one of waiting) {
    if (one.do === 'tick') for (const cover of one.covers) of(one.step).add(cover);
    if (one.do === 'untick') for (const cover of one.covers) of(one.step).delete(cover);
  }
  return shown;
}

/** With a step ticked for some covers; those that are ticked already are left out. */
export function runTicked(
  sheet: RunSheet,
  step: number,
  covers: readonly number[],
  answer: 'yes' | null,
  entry: string,
  at: string,
): RunSheet {
  const done = shownRunTicks(sheet).get(step) ?? new Set();
  const open = covers.filter((cover) => !done.has(cover));
  if (open.length === 0) return sheet;
  return noted(sheet, { do: 'tick', entry, step, at, covers: open, ...(answer && { answer }) });
}

/** With the ticks of some covers taken back. */
export function runUnticked(
  sheet: RunSheet,
  step: number,
  covers: readonly number[],
  entry: string,
  at: string,
): RunSheet {
  const done = shownRunTicks(sheet).get(step) ?? new Set();
  const ticked = covers.filter((cover) => done.has(cover));
  return ticked.length === 0 ? sheet : noted(sheet, { do: 'untick', entry, step, at, covers: ticked });
}

/** The settings of the run's cloths as the device shows them. */
export function shownSettings({ state, waiting }: RunSheet, by: string): Map<number, ClothSetting> {
  const shown = new Map((state.settings ?? []).map((one) => [one.clothId, one]));
  for (const one of waiting) {
    if (one.do !== 'setting') continue;
    const { clothId, tension, stitch, note, at } = one;
    shown.set(clothId, { clothId, tension, stitch, note, by, at });
  }
  return shown;
}

/** Tells whether a clock goes at this device: what waits to be sent counts last. */
export function isClockGoing({ state, waiting }: RunSheet, name: string | null): boolean {
  const last = waiting.filter((one) => one.do === 'start' || one.do === 'stop').at(-1);
  return last ? last.do === 'start' : state.going.some(({ by }) => by === (name ?? ''));
}

/** Sentence about an entry of another version of a run. */
export const sayLostSewing = ({ step }: RunEntry): string => `Something at step ${step} was not sent.`;

// A sheet that works without a network: what is done on a device is kept there and sent as requests that stay the same, each once.

/** One thing that somebody did on a device. Its id stays the same however often it is sent. */
export interface KeptEntry {
  entry: string;
  step: number;
  at: string;
}

/** How a sheet stands on the server. */
export interface KeptState {
  /** Version of the steps: entries of another one are not taken. */
  version: number;
  /** When the server said so, by its own clock (ISO 8601, UTC): of two states the later holds. */
  asOf: string;
  /** Why nothing can be noted any more; empty while it can. */
  closed: string;
}

/** An entry that was not taken, and why. */
export interface Conflict {
  entry: string;
  step: number;
  message: string;
}

/** Outcome of some entries: those that are dealt with, the ones among them that were not taken, and how the sheet stands. */
export interface Outcome<S extends KeptState> {
  dealtWith: string[];
  conflicts: Conflict[];
  state: S;
}

/** A sheet as a device keeps it: how it stood when the network was there, and what was done since. */
export interface KeptSheet<S extends KeptState, E extends KeptEntry> {
  /** The version that the page shows: what waits is of it, whatever the server has meanwhile. */
  version: number;
  state: S;
  /** In the order in which it was done. */
  waiting: E[];
  /** The request that carries the first of what waits, as long as it was not answered: sent again it is the same one. */
  sending: { request: string; count: number } | null;
  conflicts: Conflict[];
}

/** A sheet that a page opens with nothing kept. */
export const freshSheet = <S extends KeptState, E extends KeptEntry>(state: S): KeptSheet<S, E> => ({
  version: state.version,
  state,
  waiting: [],
  sending: null,
  conflicts: [],
});

/**
 * The sheet of a page with what the device kept of it before. What was done on an earlier version is not lost but said (`sayLost`). A page
 * that is older than what the device kept (it came from the device itself, without the network) leaves that alone: null.
 */
export function withKept<S extends KeptState, E extends KeptEntry>(
  page: KeptSheet<S, E>,
  kept: KeptSheet<S, E>,
  sayLost: (entry: E) => string,
): KeptSheet<S, E> | null {
  if (kept.version > page.version) return null;
  const state = laterOf(kept.state, page.state);
  if (kept.version < page.version) {
    const lost = kept.waiting.map((one) => ({ entry: one.entry, step: one.step, message: sayLost(one) }));
    return { ...page, state, conflicts: [...kept.conflicts, ...lost, ...page.conflicts] };
  }
  return {
    ...kept,
    state,
    waiting: [...kept.waiting, ...page.waiting],
    conflicts: [...kept.conflicts, ...page.conflicts],
  };
}

/** Most entries that are sent at once; the rest after the answer. */
export const MOST_ENTRIES = 200;

/** With one more entry to send. */
export const noted = <S extends KeptState, E extends KeptEntry>(sheet: KeptSheet<S, E>, entry: E): KeptSheet<S, E> => ({
  ...sheet,
  waiting: [...sheet.waiting, entry],
});

/** The request to send now: the one that was not answered yet, or the next one of that id. */
export function toSend<S extends KeptState, E extends KeptEntry>(
  sheet: KeptSheet<S, E>,
  request: string,
): { sheet: KeptSheet<S, E>; entries: E[] } {
  const sending = sheet.sending ?? { request, count: Math.min(sheet.waiting.length, MOST_ENTRIES) };
  return { sheet: { ...sheet, sending }, entries: sheet.waiting.slice(0, sending.count) };
}

/** The sheet after the server has answered: what it dealt with waits no more, what it did not take is said. */
export function afterSending<S extends KeptState, E extends KeptEntry>(
  sheet: KeptSheet<S, E>,
  { dealtWith, conflicts, state }: Outcome<S>,
): KeptSheet<S, E> {
  const done = new Set(dealtWith);
  return {
    version: sheet.version,
    state: laterOf(state, sheet.state),
    waiting: sheet.waiting.filter(({ entry }) => !done.has(entry)),
    sending: null,
    conflicts: [...sheet.conflicts, ...conflicts],
  };
}

/** The sheet as it stands on the server, with what still waits here. A state from before the one that is known is not taken. */
export const refreshed = <S extends KeptState, E extends KeptEntry>(
  sheet: KeptSheet<S, E>,
  state: S,
): KeptSheet<S, E> => (isOlder(state, sheet.state) ? sheet : { ...sheet, state });

const isOlder = (one: KeptState, than: KeptState) =>
  one.version < than.version || (one.version === than.version && one.asOf < than.asOf);

/** The later of two states: the page may have been made long before what the device heard last. */
const laterOf = <S extends KeptState>(a: S, b: S): S => (isOlder(a, b) ? b : a);

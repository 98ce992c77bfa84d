/** One thing that can happen: the states in which it can, and the state that follows. */
interface Transition<S extends string> {
  /** The one who causes it, people where nothing is said. */
  by?: 'person' | 'worker';
  from: readonly S[];
  /** Null: what had the state is gone. */
  to: S | null;
  /** The sentence that refuses it in any other state. */
  refusal: string;
}

/** All transitions of something, by event: whatever is not here is refused. */
export type TransitionTable<S extends string, E extends string> = Readonly<Record<E, Transition<S>>>;

/** The state that follows when something happens in a state, or the sentence that refuses it there. */
export function applyTransition<S extends string, E extends string>(
  table: TransitionTable<S, E>,
  state: S,
  event: E,
): { to: S | null; refusal?: undefined } | { refusal: string } {
  const { from, to, refusal } = table[event];
  return from.includes(state) ? { to } : { refusal };
}

/** Tells whether something can happen in a state. */
export const canHappen = <S extends string, E extends string>(
  table: TransitionTable<S, E>,
  state: S,
  event: E,
): boolean => applyTransition(table, state, event).refusal === undefined;

/**
 * The condition and the new state of an event for rows that are updated together without being read first.
 * @throws where the event ends the rows: they are deleted, not updated.
 */
export function movesOf<S extends string, E extends string>(
  table: TransitionTable<S, E>,
  event: E,
): { from: S[]; to: S } {
  const { from, to } = table[event];
  if (to === null) throw new Error(`“${event}” leaves no state.`);
  return { from: [...from], to };
}

import type { TransitionTable } from '../transitions';

/** The states of a lay run: one making of a batch's lays. */
export const LAY_RUN_STATES = ['waiting', 'running', 'done', 'failed', 'dropped'] as const;
type LayRunState = (typeof LAY_RUN_STATES)[number];

/** Events of a lay run. */
export const LAY_RUN_EVENTS = ['take', 'lose', 'finish', 'fail', 'drop'] as const;
type LayRunEvent = (typeof LAY_RUN_EVENTS)[number];

/** All transitions of a lay run, and who makes them: whatever is not here is refused. */
export const LAY_RUN_TRANSITIONS: TransitionTable<LayRunState, LayRunEvent> = {
  take: { by: 'worker', from: ['waiting'], to: 'running', refusal: 'Another worker has this run, or it has ended.' },
  // Its worker was not heard of for too long.
  lose: { by: 'worker', from: ['running'], to: 'waiting', refusal: 'No worker has this run.' },
  finish: { by: 'worker', from: ['running'], to: 'done', refusal: 'This run is not being worked any more.' },
  fail: { by: 'worker', from: ['running'], to: 'failed', refusal: 'This run is not being worked any more.' },
  // The batch has changed, so nobody wants the result.
  drop: { by: 'person', from: ['waiting', 'running'], to: 'dropped', refusal: 'This run has ended.' },
};

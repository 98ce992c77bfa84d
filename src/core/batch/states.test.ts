import { describe, expect, test } from 'vitest';
import { LAY_RUN_EVENTS, LAY_RUN_STATES, LAY_RUN_TRANSITIONS } from './lay-run-states';
import { canChangeLine, LINE_STATES, lineStateOf } from './line-states';
import { applyTransition, canHappen } from '../transitions';
import { BATCH_EVENTS, BATCH_STATES, BATCH_TRANSITIONS, isFrozen } from './batch-states';

describe('the states of a batch', () => {
  // Written out apart from the table, as the workroom goes about it: what may happen in each state.
  const MAY: Record<(typeof BATCH_STATES)[number], string> = {
    draft: 'ask reopen delete',
    queued: 'take fail reopen delete',
    laying: 'take lose finish fail reopen delete',
    laid: 'ask reopen rearrange approve delete',
    failed: 'ask reopen delete',
    approved: 'withdraw cut',
    cut: '',
  };

  test.each(BATCH_STATES.flatMap((state) => BATCH_EVENTS.map((event) => [event, state] as const)))(
    '%s in %s is allowed or refused with a sentence',
    (event, state) => {
      const { refusal } = applyTransition(BATCH_TRANSITIONS, state, event);
      if (MAY[state].split(' ').includes(event)) expect(refusal).toBeUndefined();
      else expect(refusal).toMatch(/^[A-Z].*\.$/);
    },
  );

  test('every state but the last can be left, and every state but the first can be reached', () => {
    for (const state of BATCH_STATES.filter((one) => one !== 'cut'))
      expect(BATCH_EVENTS.some((event) => canHappen(BATCH_TRANSITIONS, state, event))).toBe(true);
    for (const state of BATCH_STATES)
      expect(Object.values(BATCH_TRANSITIONS).some(({ to }) => to === state)).toBe(true);
  });

  test('only what is approved is frozen, and nothing but cutting it or taking the approval back changes it', () => {
    for (const status of BATCH_STATES) expect(isFrozen({ status })).toBe(['approved', 'cut'].includes(status));
    expect(
      BATCH_EVENTS.filter((event) => BATCH_TRANSITIONS[event].from.some((status) => isFrozen({ status }))),
    ).toEqual(['withdraw', 'cut']);
  });
});

test('a line is where its batch is', () => {
  const states = ([null, ...BATCH_STATES] as const).map((batch) => lineStateOf(batch));
  expect(states).toEqual(['waiting', ...Array<string>(5).fill('batched'), 'approved', 'cut']);
});

// Written out apart from the tables, as above: the events of each state.
test.each([
  [
    'a lay run',
    LAY_RUN_STATES,
    LAY_RUN_EVENTS,
    LAY_RUN_TRANSITIONS,
    { waiting: 'take drop', running: 'lose finish fail drop', done: '', failed: '', dropped: '' },
  ],
] as const)('the transitions of %s are these and no others', (_, states, events, transitions, may) => {
  for (const state of states)
    expect(
      events.filter((event) =>
        (transitions as Record<string, { from: readonly string[] }>)[event]!.from.includes(state),
      ),
      state,
    ).toEqual((may as Record<string, string>)[state]!.split(' ').filter(Boolean));
  for (const { refusal } of Object.values(transitions)) expect(refusal).toMatch(/^[A-Z].*\.$/);
});

test('a line changes until its batch is approved', () => {
  expect(LINE_STATES.filter(canChangeLine)).toEqual(['waiting', 'batched']);
});

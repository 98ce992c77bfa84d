import { describe, expect, test } from 'vitest';
import { ITEM_EVENTS, ITEM_STATES, ITEM_TRANSITIONS, stateOf } from '.';

describe('the states of an item', () => {
  // Written out apart from the table: what may happen in each state.
  const MAY: Record<(typeof ITEM_STATES)[number], string> = {
    whole: 'receive take end',
    opened: 'receive take end counter',
    ended: 'counter',
  };
  test.each(ITEM_STATES.flatMap((state) => ITEM_EVENTS.map((event) => [event, state] as const)))(
    '%s in %s is allowed or refused with a sentence',
    (event, state) => {
      const { from, refusal } = ITEM_TRANSITIONS[event];
      expect((from as readonly string[]).includes(state)).toBe(MAY[state].split(' ').includes(event));
      expect(refusal).toMatch(/^[A-Z].*\.$/);
    },
  );

  test('are told from the balance', () => {
    expect([stateOf(5, false), stateOf(5, true), stateOf(0, true), stateOf(0, false)]).toEqual([
      'whole',
      'opened',
      'ended',
      'ended',
    ]);
  });
});

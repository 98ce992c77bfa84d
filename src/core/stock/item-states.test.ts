import { describe, expect, test } from 'vitest';
import { stateOf } from '.';

describe('the states of an item', () => {
  test('are told from the balance', () => {
    expect([stateOf(5, false), stateOf(5, true), stateOf(0, true), stateOf(0, false)]).toEqual([
      'whole',
      'opened',
      'ended',
      'ended',
    ]);
  });
});

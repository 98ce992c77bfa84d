import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { after, availableOf, balanceOf, EMPTY_BALANCE, flowOf, movementFault, MOVEMENT_SORTS, type Movement } from '.';

const received = (quantity: number): Movement => ({ sort: 'received', quantity });

describe('a balance', () => {
  test('a bolt of 20 of which 8 are reserved has 12 free; cut, kept and wasted leave it', () => {
    const story: Movement[] = [
      received(20),
      { sort: 'reserved', quantity: 8 },
      { sort: 'released', quantity: 8 },
      { sort: 'cut', quantity: 5 },
      { sort: 'kept', quantity: 1 },
      { sort: 'wasted', quantity: 2 },
      { sort: 'moved', quantity: 0 },
      { sort: 'counted', quantity: -1 },
    ];
    expect(availableOf(balanceOf(story.slice(0, 2)))).toBe(12);
    expect(balanceOf(story)).toEqual({ onHand: 11, reserved: 0 });
    expect(flowOf(story)).toEqual({ received: 20, counted: -1, cut: 5, used: 0, kept: 1, wasted: 2, left: 11 });
  });

  test.each([
    [
      'more than there is',
      { onHand: 5, reserved: 0 },
      { sort: 'cut', quantity: 6 },
      'There is less on the shelf than that.',
    ],
    [
      'what is reserved',
      { onHand: 5, reserved: 4 },
      { sort: 'wasted', quantity: 2 },
      'What would be left is less than approved lays have reserved.',
    ],
    [
      'more reserved than there is',
      { onHand: 5, reserved: 4 },
      { sort: 'reserved', quantity: 2 },
      'What would be left is less than approved lays have reserved.',
    ],
    [
      'more released than was reserved',
      { onHand: 5, reserved: 1 },
      { sort: 'released', quantity: 2 },
      'Less than that is reserved.',
    ],
  ] as const)('refuses %s', (_, balance, movement, message) => {
    expect(movementFault(balance, movement)?.message).toBe(message);
  });

  test('whatever happens, what came in is what is left and where the rest went; what is reversed leaves no trace', () => {
    const movement = fc.record({
      sort: fc.constantFrom(...MOVEMENT_SORTS),
      quantity: fc.integer({ min: 0, max: 1_000_000_000 }),
    });
    fc.assert(
      fc.property(fc.array(movement, { maxLength: 60 }), (wanted) => {
        let balance = EMPTY_BALANCE;
        const booked: Movement[] = [];
        for (const one of wanted) {
          if (movementFault(balance, one)) continue;
          balance = after(balance, one);
          booked.push(one);
        }
        const { received: came, counted, left, ...gone } = flowOf(booked);
        expect(came + counted).toBe(left + gone.cut + gone.used + gone.kept + gone.wasted);
        expect(balance.onHand).toBe(left);
        expect(balance.reserved).toBeGreaterThanOrEqual(0);
        expect(balance.reserved).toBeLessThanOrEqual(balance.onHand);
        const undone = booked.flatMap((one) => [one, { ...one, quantity: -one.quantity }]);
        expect(balanceOf(undone)).toEqual(EMPTY_BALANCE);
      }),
    );
  });
});

import { expect, test } from 'vitest';
import { applyTransition, canHappen, movesOf, type TransitionTable } from './transitions';

const LAMP: TransitionTable<'on' | 'off', 'light' | 'snuff' | 'break'> = {
  light: { from: ['off'], to: 'on', refusal: 'It burns already.' },
  snuff: { from: ['on'], to: 'off', refusal: 'It does not burn.' },
  break: { from: ['on', 'off'], to: null, refusal: '' },
};

test('an event leads to its state, is refused in any other, or ends what had the state', () => {
  expect(applyTransition(LAMP, 'off', 'light')).toEqual({ to: 'on' });
  expect(applyTransition(LAMP, 'on', 'light')).toEqual({ refusal: 'It burns already.' });
  expect(applyTransition(LAMP, 'on', 'break')).toEqual({ to: null });
  expect([canHappen(LAMP, 'on', 'snuff'), canHappen(LAMP, 'off', 'snuff')]).toEqual([true, false]);
  // A refusal is one even where its sentence is empty.
  expect(canHappen({ ...LAMP, break: { ...LAMP.break, from: ['on'] } }, 'off', 'break')).toBe(false);
});

test('rows that move together know from where to where; what ends them is no update', () => {
  expect(movesOf(LAMP, 'snuff')).toEqual({ from: ['on'], to: 'off' });
  expect(() => movesOf(LAMP, 'break')).toThrow('leaves no state');
});

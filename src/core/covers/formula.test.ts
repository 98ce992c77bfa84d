import { describe, expect, test } from 'vitest';
import { inches, millimetres } from '../length';
import {
  emptyScope,
  evaluate,
  FormulaError,
  length,
  namesIn,
  number,
  parseFormula,
  sumOf,
  type Scope,
} from './formula';

describe('the formula language', () => {
  const scope: Scope = {
    ...emptyScope([]),
    values: new Map([
      ['W', length(inches(20))],
      ['s', length(inches(0.5))],
      ['n', number(3)],
    ]),
    inline: new Map(),
    stockLengths: [],
  };
  const run = (text: string) => evaluate(parseFormula(text), scope);
  const code = (text: string) => {
    try {
      run(text);
      return 'none';
    } catch (error) {
      return error instanceof FormulaError ? error.code : 'other';
    }
  };

  test('works sums out with their kinds of value', () => {
    expect(run('W + 2 * s')).toEqual(length(inches(21)));
    expect(run('W / s')).toEqual(number(40));
    expect(run('n > 2 && W >= inch(20) ? min(W, inch(3)) : W')).toEqual(length(inches(3)));
    expect(run('-s + cm(1)')).toEqual(length(millimetres(10) - inches(0.5)));
  });

  test('reads mixed numbers as people write them, but not inside words', () => {
    expect(run('inch(1 1/2)')).toEqual(length(inches(1.5)));
    expect(run('W / 2 1/2 - s')).toEqual(length(inches(7.5)));
    expect(run(`'1 1/2' == "1 1/2" ? W : s`)).toEqual(length(inches(20)));
    expect(code('n 1/2')).toBe('not-allowed');
  });

  test('works a result that others are built on out once, and shows a sum that nobody would read by its value', () => {
    // Each doubles the one before: worked out anew each time it is named, the last of 60 would take 2 to the 60th steps.
    const chained = { ...emptyScope([]), values: scope.values };
    chained.inline.set('r0', parseFormula('s'));
    for (let i = 1; i <= 60; i++) chained.inline.set(`r${i}`, parseFormula(`r${i - 1} + r${i - 1} - r${i - 1} + s`));
    expect(evaluate(parseFormula('r60'), chained)).toEqual(length(inches(0.5) * 61));
    expect(sumOf(parseFormula('r60 + W'), chained, { unit: 'in' }).length).toBeLessThan(800);
  });

  test('says so when it takes too many steps', () => {
    const long = `max(${new Array(100).fill('W').join(', ')})`;
    const short = { ...scope, steps: 90 };
    expect(() => evaluate(parseFormula(long), short)).toThrow(/steps/);
    expect(evaluate(parseFormula(long), { ...scope, steps: 1000 })).toEqual(length(inches(20)));
  });

  test('prints sums with brackets only where they are needed', () => {
    const print = (text: string) => sumOf(parseFormula(text), scope, { unit: 'in' });
    expect(print('W + 2 * s')).toBe('20 + 2 x 1/2 = 21');
    expect(print('(W + s) / 2')).toBe('(20 + 1/2) / 2 = 10 1/4');
    expect(print('W - (s + s)')).toBe('20 - (1/2 + 1/2) = 19');
    expect(print('W + -s')).toBe('20 - 1/2 = 19 1/2');
    expect(print('W')).toBe('20');
    expect(print('W + inch(0)')).toBe('20');
  });

  test.each([
    ['W + 1', 'kind-of-value'],
    ['W * W', 'kind-of-value'],
    ['W > n', 'kind-of-value'],
    ['W / 0', 'division-by-zero'],
    ['depth + W', 'unknown-name'],
    ['constructor', 'unknown-name'],
    ['constructor(1)', 'unknown-function'],
    ['toString(1)', 'unknown-function'],
    ['W.constructor', 'not-allowed'],
    ['this', 'not-allowed'],
    ['[1][0]', 'not-allowed'],
    ['(1)(2)', 'unknown-function'],
    ['min(W, n)', 'kind-of-value'],
    ['n % 2', 'not-allowed'],
    ['W ? 1 : 2', 'kind-of-value'],
    ['W +', 'syntax'],
    ['1 2', 'not-allowed'],
    ['inch(1 2)', 'kind-of-value'],
    ['inch(1, 2)', 'kind-of-value'],
    ['diagonal(W)', 'kind-of-value'],
    ['spread(n)', 'kind-of-value'],
    ['x'.repeat(600), 'syntax'],
  ])('refuses %s', (text, expected) => expect(code(text)).toBe(expected));

  test('names what a formula uses', () => {
    expect(namesIn(parseFormula('max(W, a + b) > c ? !d : -e'))).toEqual(['W', 'a', 'b', 'c', 'd', 'e']);
  });
});

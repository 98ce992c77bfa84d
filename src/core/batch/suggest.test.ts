import { describe, expect, test } from 'vitest';
import type { Cloth } from '../cloth';
import { inches } from '../length';
import { CLOSE_DAYS, groupsOf, savingOf } from '.';

const order = (orderNo: string, due: string) => ({ orderNo, due, lineIds: [Number(orderNo)] });
const numbers = (groups: ReturnType<typeof groupsOf>) =>
  groups.map(({ orders }) => orders.map(({ orderNo }) => orderNo));

describe('orders that are worth cutting together', () => {
  test('are due close together; one alone is no group', () => {
    const orders = [
      order('3', '2027-03-20'),
      order('1', '2027-03-01'),
      order('2', '2027-03-14'),
      order('4', '2027-05-01'),
      order('5', '2027-03-15'),
    ];
    expect(CLOSE_DAYS).toBe(14);
    expect(numbers(groupsOf(orders))).toEqual([['1', '2', '5'], []].slice(0, 1));
    expect(groupsOf(orders)[0]).toMatchObject({ from: '2027-03-01', to: '2027-03-15' });
  });

  test('over a change of the year, and never more than a day’s cutting', () => {
    expect(numbers(groupsOf([order('1', '2026-12-28'), order('2', '2027-01-11')]))).toEqual([['1', '2']]);
    const many = Array.from({ length: 30 }, (_, i) => order(String(100 + i), '2027-03-01'));
    expect(groupsOf(many).map(({ orders }) => orders.length)).toEqual([12, 12, 6]);
  });
});

describe('what it saves', () => {
  const cloth: Cloth = {
    name: 'c',
    width: inches(54),
    selvage: [0, 0],
    repeat: null,
    turns: 'half',
    price: { minor: 1800, currency: 'GBP', per: 'yd' },
    sellingStep: inches(9),
  };

  test('each alone bought in quarter yards, together once', () => {
    // 40 and 20 in alone are bought as 45 and 27 (72 in, 2 yd, £36); 56 together as 63 (1 3/4 yd, £31.50).
    expect(savingOf(cloth, inches(56), [inches(40), inches(20)])).toEqual({ savedNm: inches(9), savedMinor: 450 });
  });

  test('is nothing where together takes more', () => {
    expect(savingOf(cloth, inches(90), [inches(40), inches(20)])).toEqual({ savedNm: 0, savedMinor: 0 });
  });
});
